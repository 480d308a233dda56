"""The fault hunt: the same number is the same hunt, the ranking solves nearly all within budget, and unsafe acts end it."""

from __future__ import annotations

import math
from typing import Any

import numpy as np
import pytest

from modest_rotor.core.bench import hunting
from modest_rotor.core.bench.hunt import (
    HUNTED,
    READINGS,
    all_tests,
    causes_on,
    level_of,
    make_hunt,
    outcome_of,
)
from modest_rotor.core.bench.hunt import tests_on as offered
from modest_rotor.core.bench.hunting import (
    ASK,
    DISCHARGE,
    ISOLATE,
    WRONG_STEPS,
    Ending,
    Hunting,
    acts_on,
    budget_of,
    caution_of,
    cheapest_acts,
    cheapest_minutes,
    minutes_of,
    names_in,
    next_level,
    next_steps,
)
from modest_rotor.core.errors import OutsideValidity
from tests.said import refused_with

CAPACITOR_TEST = "Run capacitor, out of circuit"
SHAFT_TEST = "Turn the shaft by hand"
ON_A_CAPACITOR_MOTOR = next(number for number in range(100) if make_hunt(number).stand.has_capacitor)
TWO = 2003


@pytest.mark.slow
@pytest.mark.parametrize("level", [1, 2, 3])
def test_the_ranking_solves_at_least_ninety_five_of_a_hundred_within_the_budget(level: int) -> None:
    """The limit of the issue. Meters have their error, meters that are off included."""
    solved = 0
    for number in range((level - 1) * 1000, (level - 1) * 1000 + 100):
        assert cheapest_minutes(number) <= budget_of(number) and level_of(number) == level
        solved += set(names_in(cheapest_acts(number)[-1])) == set(make_hunt(number).hidden)
    assert solved >= 95


@pytest.mark.slow
def test_the_same_number_is_the_same_hunt_and_numbers_differ() -> None:
    hunts = [make_hunt(number) for number in range(1000, 1100)]
    again = make_hunt(1007)
    assert (again.faults, again.stand.name) == (hunts[7].faults, hunts[7].stand.name)
    measurand = next(iter(READINGS))
    assert again.read(measurand) == hunts[7].read(measurand) != again.read(measurand, again=1)
    assert len({hunt.hidden for hunt in hunts}) >= 12 and {hunt.stand.name for hunt in hunts} == set(HUNTED)


def test_levels_hide_what_they_say() -> None:
    assert all(fault.cause.change for number in range(100) for fault in make_hunt(number).faults)
    assert any(fault.cause.measurand for number in range(1000, 1100) for fault in make_hunt(number).faults)
    assert all(len(set(make_hunt(number).hidden)) == 2 for number in range(2000, 2100))


@pytest.mark.slow
def test_every_hunt_can_be_told_in_plain_words_and_read() -> None:
    for number in (*range(40), *range(2000, 2040)):
        hunt = make_hunt(number)
        assert hunt.complaint.endswith(".")
        assert all(math.isfinite(hunt.read(measurand)) and hunt.read(measurand) >= 0 for measurand in READINGS)


def test_a_capacitor_is_measured_only_after_it_was_made_dead_and_discharged() -> None:
    begun = Hunting(make_hunt(ON_A_CAPACITOR_MOTOR))
    rash = begun.after(CAPACITOR_TEST)
    assert rash.ending is Ending.UNSAFE and "discharge" in rash.reason.lower() and rash.shown == {}
    assert begun.after(ISOLATE).after(CAPACITOR_TEST).ending is Ending.UNSAFE
    assert begun.after(DISCHARGE).ending is Ending.UNSAFE
    assert begun.after(SHAFT_TEST).ending is Ending.UNSAFE
    careful = begun.after(ISOLATE).after(DISCHARGE)
    assert careful.ending is None and careful.minutes == 5
    assert caution_of(CAPACITOR_TEST) and caution_of("read amps")


def test_minutes_are_counted_and_the_budget_ends_it() -> None:
    going = Hunting(make_hunt(3))
    while going.ending is None:
        going = going.after("read flow")
    assert going.ending is Ending.OUT_OF_TIME and going.minutes > going.budget
    with refused_with(OutsideValidity, "hunting-refuse-ended"):
        going.after("read amps")


def test_the_right_name_finds_it_and_another_does_not() -> None:
    hunt = make_hunt(11)
    (hidden,), step = hunt.hidden, hunt.faults[0].cause.next
    other = next(one.cause.name for one in causes_on(hunt.stand.name) if one.cause.name != hidden)
    found = Hunting(hunt).name([hidden], step)
    assert found.ending is Ending.FOUND and found.next_is_right
    wrong = Hunting(hunt).name([other], WRONG_STEPS[0])
    assert wrong.ending is Ending.ANOTHER and hidden in wrong.reason and not wrong.next_is_right
    for causes, next_step in ((["gremlins"], step), ([], step), ([hidden, other], step), ([hidden], "hope")):
        with pytest.raises(OutsideValidity):
            Hunting(hunt).name(causes, next_step)


def test_of_two_faults_one_is_half_and_both_are_found() -> None:
    hunt = make_hunt(TWO)
    step = hunt.faults[1].cause.next
    assert Hunting(hunt).name(hunt.hidden[:1], step).ending is Ending.HALF
    assert Hunting(hunt).name(reversed(hunt.hidden), step).ending is Ending.FOUND
    assert Hunting(hunt).name(hunt.hidden, step).next_is_right


def test_the_cheapest_way_walked_by_hand_ends_in_time_and_rules_out_what_it_saw() -> None:
    hunt = make_hunt(TWO)
    *acts, cause = cheapest_acts(TWO)
    going = Hunting(hunt)
    for act in acts:
        going = going.after(act)
    assert going.ending is None and going.minutes == cheapest_minutes(TWO)
    assert not set(going.ruled_out) & set(hunt.hidden)
    told = going.after(ASK).told
    assert set(names_in(told[0][0])) == set(names_in(cause)) and told[0][1] > 0.5


def test_a_second_reading_differs_by_the_meters_error_alone() -> None:
    going = Hunting(make_hunt(5)).after("read amps").after("read amps")
    (values,) = going.readings.values()
    assert values[0] != values[1] and values[0] == pytest.approx(values[1], rel=0.05)


def test_the_ranking_weighs_the_mean_of_what_was_read(monkeypatch: pytest.MonkeyPatch) -> None:
    """Two readings of a meter count once, by their mean."""
    seen: list[dict[Any, float]] = []
    sound = hunting.weighed_causes

    def spied(hunt: Any, means: dict[Any, float], shown: Any) -> Any:
        seen.append(means)
        return sound(hunt, means, shown)

    monkeypatch.setattr(hunting, "weighed_causes", spied)
    going = Hunting(make_hunt(5)).after("read amps").after("read amps").after("read watts").after(ASK)
    assert going.told
    assert {measurand: len(values) for measurand, values in going.readings.items()} != {}
    for measurand, values in going.readings.items():
        assert seen[-1][measurand] == pytest.approx(float(np.mean(values)))
    assert max(len(values) for values in going.readings.values()) == 2


def test_what_is_no_act_or_no_number_is_refused() -> None:
    with refused_with(OutsideValidity, "hunting-after-there-act"):
        Hunting(make_hunt(1)).after("hit it with a hammer")
    for number in (-1, 3000):
        with pytest.raises(OutsideValidity, match="0 to 2,999"):
            make_hunt(number)


def test_every_test_costs_minutes_and_shows_something_under_every_cause() -> None:
    for name in HUNTED:
        causes = [one.cause.name for one in causes_on(name)]
        for test in offered(name):
            assert minutes_of(test) > 0
            assert len({outcome_of(test, (cause,)) for cause in causes}) > 1, "a test that tells nothing is not offered"
    assert all(minutes_of(act) > 0 for act in acts_on(make_hunt(0)))
    assert set(all_tests()) > set(offered("three-phase fan"))
    assert len(next_steps()) > 10


def test_difficulty_follows_the_record() -> None:
    found, missed = Ending.FOUND, Ending.ANOTHER
    assert next_level([]) == 1
    assert next_level([(1, found), (1, found)]) == 2
    assert next_level([(1, found), (1, missed), (1, found)]) == 1
    assert next_level([(1, found), (1, found), (2, found), (2, found)]) == 3
    assert next_level([(3, missed), (3, Ending.UNSAFE)]) == 2
