"""Every benchmark runs to its end in its short form; no time is asserted, since a figure is only worth what a quiet machine makes it."""

from __future__ import annotations

import re
from pathlib import Path

import pytest
from benchmarks.__main__ import BENCHMARKS, HEAD, run, written

ROOT = Path(__file__).resolve().parents[1]
IN_A_BROWSER = {"redraw", "comparison", "log", "bench", "first_answer", "first_paint"}
WITH_A_DATABASE = {"load"}
ALONE = sorted(set(BENCHMARKS) - IN_A_BROWSER - WITH_A_DATABASE)


def test_every_benchmark_is_listed() -> None:
    helpers = {"__init__", "__main__", "browser", "scale"}
    assert {path.stem for path in (ROOT / "benchmarks").glob("*.py")} - helpers == set(BENCHMARKS)


@pytest.mark.slow
@pytest.mark.parametrize("name", ALONE)
def test_it_runs_to_its_end(name: str) -> None:
    said = run(name, short=True)
    assert re.search(r"\d", said) and "nan" not in said.lower(), said


def test_a_section_is_put_in_its_place_and_others_are_left() -> None:
    page = written(written(HEAD, "redraw", "57 ms", "a day"), "speed", "4 ms", "another day")
    assert page.startswith(HEAD) and page.index("## speed") < page.index("## redraw")
    again = written(page, "speed", "5 ms", "a third day")
    assert "57 ms" in again and "a day" in again and "4 ms" not in again and "5 ms" in again
    assert written(again, "speed", "5 ms", "a third day") == again
