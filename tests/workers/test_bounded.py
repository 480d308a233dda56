"""Work in a process of its own: its answer and refusals come over, its bounds hold, and it ends when nobody waits."""

from __future__ import annotations

import time
from threading import BoundedSemaphore

import pytest

from modest_rotor.core.errors import Refusal
from modest_rotor.workers.bounded import TooMuch, bounded
from tests.said import refused_with
from tests.workers.work import die, double, process, refuse, sleep, spin, stumble, take_memory

pytestmark = pytest.mark.slow


def test_answers_and_refusals_come_over_whole() -> None:
    assert bounded(double, 21) == 42
    assert bounded(process) != bounded(process)
    with pytest.raises(Refusal, match="no good") as told:
        bounded(refuse, "no good")
    assert told.value.field == "a field"
    with pytest.raises(RuntimeError, match="ZeroDivisionError"):
        bounded(stumble)


@pytest.mark.parametrize("work", [(sleep, 30.0), (spin,)])
def test_what_takes_too_long_is_ended_in_words(work: tuple) -> None:
    begun = time.monotonic()
    with pytest.raises(TooMuch, match="within 1 seconds"):
        bounded(*work, seconds=1.0)
    assert time.monotonic() - begun < 15  # ended, not waited for


def test_what_takes_too_much_memory_is_refused_and_so_is_what_dies() -> None:
    with refused_with(TooMuch, "bounded-work"):
        bounded(take_memory, 3_000)
    with refused_with(TooMuch, "bounded-wait-could-read-memory"):
        bounded(die)


def test_it_ends_when_nobody_waits_for_it_any_more() -> None:
    begun = time.monotonic()
    with refused_with(TooMuch, "bounded-wait-nobody-waits"):
        bounded(sleep, 30.0, cancelled=lambda: time.monotonic() - begun > 0.3)
    assert time.monotonic() - begun < 15


def test_only_so_many_work_at_once_and_the_others_are_told() -> None:
    nobody = BoundedSemaphore(1)
    nobody.acquire()
    with refused_with(TooMuch, "bounded"):
        bounded(double, 1, seconds=0.2, at_once=nobody)
