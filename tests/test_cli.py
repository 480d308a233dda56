"""The headless door."""

from __future__ import annotations

import io
import json
import subprocess
import sys
from pathlib import Path

import pytest

from modest_rotor.cli import main
from tests.jobs import KRAUSE, KRAUSE_SHAFT_W


def test_assess_prints_the_whole_assessment(tmp_path: Path, capsys: pytest.CaptureFixture[str]) -> None:
    path = tmp_path / "job.json"
    path.write_text(json.dumps(KRAUSE), encoding="utf-8")
    assert main(["assess", str(path)]) == 0
    answer = json.loads(capsys.readouterr().out)
    shaft = answer["sets"][0]["shaft_power"]["figure"]
    assert abs(shaft["value"] - KRAUSE_SHAFT_W) <= shaft["band"]
    assert {"plate", "duty", "options", "balance", "rail", "findings"} <= set(answer)


def test_standard_input_is_read(capsys: pytest.CaptureFixture[str], monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setattr(sys, "stdin", io.StringIO(json.dumps(KRAUSE)))
    assert main(["assess"]) == 0
    assert '"program_version"' in capsys.readouterr().out


@pytest.mark.parametrize("text", ["{", '{"site": {"name": "x"}}'])
def test_a_bad_file_is_a_sentence_and_exit_code_one(
    text: str, tmp_path: Path, capsys: pytest.CaptureFixture[str]
) -> None:
    path = tmp_path / "job.json"
    path.write_text(text, encoding="utf-8")
    assert main(["assess", str(path)]) == 1
    told = capsys.readouterr()
    assert told.err.startswith("modest-rotor: ") and not told.out and "Traceback" not in told.err


def test_a_missing_file_is_a_sentence(capsys: pytest.CaptureFixture[str]) -> None:
    assert main(["assess", "/nowhere.json"]) == 1
    assert "nowhere.json" in capsys.readouterr().err


def test_the_schema_is_printed(capsys: pytest.CaptureFixture[str]) -> None:
    assert main(["schema"]) == 0
    assert json.loads(capsys.readouterr().out)["title"] == "modest-rotor job, version 1"


def test_the_installed_command_answers() -> None:
    command = Path(sys.executable).with_name("modest-rotor")
    done = subprocess.run(
        [str(command), "assess"], input=json.dumps(KRAUSE), capture_output=True, text=True, check=True
    )
    assert json.loads(done.stdout)["program_version"]
