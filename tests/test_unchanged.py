"""The net under a redesign: what is saved twice is the same, and whatever is changed is named."""

from __future__ import annotations

import gzip
import json
from pathlib import Path

import pytest
from tools.unchanged import ANSWERS, JOBS, compare, differences, draw, save

from modest_rotor.core.options.contract import OptionKind


def test_jobs_are_whole_drawn_alike_and_of_every_kind() -> None:
    assert draw(3, 7) == draw(3, 7) != draw(4, 7)
    jobs = [draw(1, number) for number in range(60)]
    machine_types = {job.machine.type for job in jobs}
    assert len(machine_types - {None}) == 4, "fans of three wheels, and pumps"
    kinds = {one.kind for job in jobs for one in job.document.options.candidates}
    assert kinds >= set(OptionKind) - {OptionKind.KEEP}
    touched = {name for job in jobs for name in type(job.document).model_fields if getattr(job.document, name)}
    assert touched >= {
        "call",
        "nameplate",
        "readings",
        "duty",
        "options",
        "decision",
        "setup",
        "proof",
        "checks",
        "target",
    }


def test_two_savings_of_one_program_are_the_same_and_a_change_is_named(
    tmp_path: Path, capsys: pytest.CaptureFixture[str]
) -> None:
    before, after = tmp_path / "before", tmp_path / "after"
    save(before, 2, 1, None)
    save(after, 0, 9, before)
    assert (before / JOBS).read_bytes()[10:] == (after / JOBS).read_bytes()[10:], "the same jobs, from the other place"
    assert compare(before, after, []) == 0
    with gzip.open(after / ANSWERS, "rt", encoding="utf-8") as file:
        answers = [json.loads(line) for line in file]
    answers[1]["rail"][0]["waits"] = not answers[1]["rail"][0]["waits"]
    with gzip.open(after / ANSWERS, "wt", encoding="utf-8") as file:
        file.writelines(json.dumps(answer) + "\n" for answer in answers)
    capsys.readouterr()
    assert compare(before, after, []) == 1
    told = capsys.readouterr().out
    assert "job 1: rail/0/waits" in told and "2 jobs, 1 differ" in told
    assert compare(before, after, [r"rail/\d+/waits"]) == 0


def test_values_are_compared_to_a_billionth_and_kinds_exactly() -> None:
    one = {"a": 1.0, "b": [1, 2], "c": True, "d": "x", "e": 0.0}
    assert list(differences(one, {**one, "a": 1.0 + 1e-10, "e": 1e-13})) == []
    for name, value in (("a", 1.0 + 1e-8), ("b", [1, 3]), ("c", 1), ("d", "y"), ("a", None), ("e", 1e-9)):
        found = list(differences(one, {**one, name: value}))
        assert found and found[0][0].startswith(name), (name, value)
    assert [path for path, _ in differences(one, {**one, "b": [1]})] == ["b"]
