"""Time of the simulated machines in a test: it passes while somebody waits for them, or as the test says, and never by itself.

So a test takes as many looks on a slow machine as on a quick one, and finds the same.
"""

from __future__ import annotations

import time
from threading import Lock
from types import ModuleType

import pytest

from modest_rotor.devices import links

SLOW_MACHINE_S = 3.0
"""So long an answer is waited for: a machine at work on other tests keeps a simulated device longer than a real one would."""


class MachineTime:
    """Stands in for the module ``time`` where a run or a reading waits for a machine."""

    def __init__(self) -> None:
        self._now = 0.0
        self._lock = Lock()
        self.moment_s = 0.001
        """So long whoever waits really sleeps, that others come to their turn."""

    def __call__(self) -> float:
        return self._now

    monotonic = __call__

    def sleep(self, seconds: float) -> None:
        """Let so many seconds of the machines pass."""
        with self._lock:
            self._now += seconds
        time.sleep(self.moment_s)


def kept_in(monkeypatch: pytest.MonkeyPatch, *modules: ModuleType) -> MachineTime:
    """Machine time for modules that wait; for as long as the test goes, answers are waited for with patience."""
    found = MachineTime()
    monkeypatch.setattr(links, "TIMEOUT_S", SLOW_MACHINE_S)
    for module in modules:
        monkeypatch.setattr(module, "time", found)
    return found
