"""What is timed in a browser runs to its end on the pages as they are; no time is asserted (see tests/test_benchmarks.py)."""

from __future__ import annotations

import importlib
from collections.abc import Iterator
from contextlib import contextmanager
from typing import Any

import pytest
from benchmarks.__main__ import BENCHMARKS
from benchmarks.first_paint import NO_LIMIT, PAGES

from tests.running import Application
from tests.test_benchmarks import IN_A_BROWSER
from tests.web.screen import Screen
from tests.web.test_walk import taken_in

SHORT: dict[str, dict[str, Any]] = {
    "redraw": {"KEYS": 4}, "comparison": {"STEPS": 2, "DRAGS": 3}, "log": {"READINGS": 200, "TIMES": 1},
    "bench": {"TURNS": 4, "WARM_S": 1, "RUN_S": 2, "RIGS": ("capacitor blower",)}, "first_answer": {"PACE_S": 0.0, "PRESS_S": 0.0}, "first_paint": {"RUNS": 1, "SLOWER": 1, "LINE": NO_LIMIT, "PAGES": {name: PAGES[name] for name in ("Board", "In short", "Options", "Bench")}},
}  # fmt: skip
"""As ``benchmarks.scale`` shortens them, here in one process with the browser of the tests."""


@pytest.mark.parametrize("name", sorted(IN_A_BROWSER))
def test_it_runs_to_its_end(
    name: str,
    screen: Screen,
    application: Application,
    monkeypatch: pytest.MonkeyPatch,
    capsys: pytest.CaptureFixture[str],
) -> None:
    assert set(SHORT) == IN_A_BROWSER <= set(BENCHMARKS)

    @contextmanager
    def here(job: dict[str, Any]) -> Iterator[tuple[Screen, int]]:
        screen.size(1280, 800)
        yield screen, taken_in(application, job)

    module = importlib.import_module(f"benchmarks.{name}")
    monkeypatch.setattr(module, "screen_with", here)
    for constant, value in SHORT[name].items():
        assert hasattr(module, constant)
        monkeypatch.setattr(module, constant, value)
    module.main()
    said = capsys.readouterr().out
    assert any(letter.isdigit() for letter in said) and "nan" not in said.lower(), said
