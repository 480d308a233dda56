"""Which tests run which lines, and how long each takes: recorded once on the sound program, as a plug-in of pytest."""

from __future__ import annotations

import json
import os
from collections import defaultdict
from pathlib import Path

import pytest

OUT = "MUTATION_DURATIONS"
_durations: dict[str, float] = defaultdict(float)


def pytest_runtest_logreport(report: pytest.TestReport) -> None:
    """Add up what each test function takes, over its cases."""
    _durations[report.nodeid.split("[")[0]] += report.duration


def pytest_sessionfinish() -> None:
    """Keep the sums where the sample looks for them."""
    Path(os.environ[OUT]).write_text(json.dumps(_durations), encoding="utf-8")
