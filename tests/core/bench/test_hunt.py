"""The fault hunt: the same number is the same hunt, the ladder solves nearly all within budget, and unsafe acts end it."""

from __future__ import annotations

import math

import pytest

from modest_rotor.core.bench.hunt import (
    DISCHARGE,
    ISOLATE,
    READINGS,
    Ending,
    Hunting,
    causes_on,
    make_hunt,
    minutes_of,
    outcome_of,
)
from modest_rotor.core.bench.hunt import (
    tests as all_tests,
)
from modest_rotor.core.bench.stand import stands
from modest_rotor.core.errors import OutsideValidity

NUMBERS = range(100)
CAPACITOR_TEST = "Run capacitor, out of circuit"


def test_the_ladder_solves_at_least_ninety_five_of_a_hundred_within_the_budget() -> None:
    """The limit of the issue. Meters have their error, meters that are off included."""
    solved = 0
    for number in NUMBERS:
        hunt = make_hunt(number)
        assert hunt.way_minutes <= hunt.budget
        solved += hunt.way[-1] == hunt.cause.name
    assert solved >= 95


def test_the_same_number_is_the_same_hunt_and_numbers_differ() -> None:
    hunts = [make_hunt(number) for number in NUMBERS]
    again = make_hunt(7)
    assert (again.cause.name, again.size, again.stand.name) == (hunts[7].cause.name, hunts[7].size, hunts[7].stand.name)
    needle = next(iter(READINGS))
    assert again.read(needle) == hunts[7].read(needle) != again.read(needle, again=1)
    assert len({hunt.cause.name for hunt in hunts}) >= 12 and len({hunt.stand.name for hunt in hunts}) >= 4


def test_every_hunt_can_be_told_in_plain_words_and_read() -> None:
    for number in NUMBERS:
        hunt = make_hunt(number)
        assert hunt.complaint.endswith(".")
        assert all(math.isfinite(hunt.read(needle)) and hunt.read(needle) >= 0 for needle in READINGS)


def test_a_capacitor_is_measured_only_after_it_was_made_dead_and_discharged() -> None:
    begun = Hunting(make_hunt(3))
    rash = begun.after(CAPACITOR_TEST)
    assert rash.ending is Ending.UNSAFE and "discharge" in rash.reason.lower()
    half = begun.after(ISOLATE).after(CAPACITOR_TEST)
    assert half.ending is Ending.UNSAFE
    assert begun.after(DISCHARGE).ending is Ending.UNSAFE
    careful = begun.after(ISOLATE).after(DISCHARGE)
    assert careful.ending is None and careful.minutes == 5


def test_minutes_are_counted_and_the_budget_ends_it() -> None:
    going = Hunting(make_hunt(3))
    while going.ending is None:
        going = going.after("read flow")
    assert going.ending is Ending.OUT_OF_TIME and going.minutes > going.hunt.budget
    with pytest.raises(OutsideValidity, match="has ended"):
        going.after("read amps")


def test_the_right_name_finds_it_and_another_does_not() -> None:
    hunt = make_hunt(11)
    others = [one.cause.name for one in causes_on(hunt.stand.name) if one.cause.name != hunt.cause.name]
    assert Hunting(hunt).named(hunt.cause.name).ending is Ending.FOUND
    wrong = Hunting(hunt).named(others[0])
    assert wrong.ending is Ending.ANOTHER and hunt.cause.name in wrong.reason
    with pytest.raises(OutsideValidity):
        Hunting(hunt).named("gremlins")


def test_what_is_no_act_or_no_number_is_refused() -> None:
    with pytest.raises(OutsideValidity, match="no act"):
        Hunting(make_hunt(1)).after("hit it with a hammer")
    with pytest.raises(OutsideValidity):
        make_hunt(-1)


def test_every_test_costs_minutes_and_shows_something_under_every_cause() -> None:
    causes = {one.cause.name for name in stands() for one in causes_on(name)}
    for name in all_tests():
        assert minutes_of(name) > 0
        assert all(outcome_of(name, cause) for cause in causes)
