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
    assert abs(shaft["value"] - KRAUSE_SHAFT_W) <= shaft["uncertainty"]
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
    assert json.loads(capsys.readouterr().out)["title"] == "modest-rotor job, version 3"


@pytest.mark.slow
def test_the_installed_command_answers() -> None:
    command = Path(sys.executable).with_name("modest-rotor")
    done = subprocess.run(
        [str(command), "assess"], input=json.dumps(KRAUSE), capture_output=True, text=True, check=True
    )
    assert json.loads(done.stdout)["program_version"]


def test_a_calculation_is_worked_out_and_told(capsys: pytest.CaptureFixture[str]) -> None:
    assert main(["calc", "synchronous_speed", "frequency=60 Hz", "poles=6"]) == 0
    told = capsys.readouterr().out
    assert (
        told.startswith("Synchronous speed: 1,200 rpm") and "n_s = 120 f ÷ p" in told and "Source: Definition." in told
    )
    assert main(["calc", "torque", "shaft_power=1/2 hp", "speed=1,075 rpm ± 10", "--units", "ip"]) == 0
    assert "lbf·ft" in capsys.readouterr().out
    assert main(["calc", "ip_code", "code=IP54", "--json"]) == 0
    assert json.loads(capsys.readouterr().out)["words"][0].endswith("dust in harmful amounts")


def test_all_calculations_are_listed_as_json(capsys: pytest.CaptureFixture[str]) -> None:
    assert main(["calc", "--list"]) == 0
    listed = json.loads(capsys.readouterr().out)
    first = next(facts for facts in listed if facts["name"] == "synchronous_speed")
    assert first["inputs"][0]["units"] == ["Hz", "kHz"] and first["source"]


@pytest.mark.parametrize("arguments", [[], ["synchronous_speed", "poles"], ["nothing"], ["slip", "speed=x"]])
def test_a_calculation_that_cannot_be_is_a_sentence(arguments: list[str], capsys: pytest.CaptureFixture[str]) -> None:
    assert main(["calc", *arguments]) == 1
    told = capsys.readouterr()
    assert told.err.startswith("modest-rotor: ") and not told.out
