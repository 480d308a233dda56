"""The options: what each must do whatever the machine, and what a protected duty does to them."""

from __future__ import annotations

from typing import Any

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from modest_rotor.core.assess import assess, fit_job
from modest_rotor.core.job import Job
from modest_rotor.core.phrase import plain
from modest_rotor.core.physics.supply import Supply
from tests.jobs import KRAUSE, assessed, option, rules
from tests.said import codes_of

pytestmark = pytest.mark.slow

LOW = {
    "id": "s2", "name": "low", "tap": "low tap", "voltage": "110 V", "current": "2.2 A", "input_power": "185 W",
    "speed": "1,200 rpm",
}  # fmt: skip
SETS = [KRAUSE["document"]["readings"][0], LOW]  # type: ignore[index]


def watts(answer: Any, letter: str, step: int) -> float:
    return option(answer, letter).steps[step].input_power.value


def test_every_option_is_solved_at_every_step() -> None:
    answer = assessed(KRAUSE)
    assert [one.letter for one in answer.options.options] == ["A", "B", "C", "D"]
    for one in answer.options.options:
        for step in one.steps:
            assert step.flow and step.speed and step.shaft_power and step.input_power and step.pressure
        assert one.energy.figure and one.money.figure


BARE = {"nameplate__rated_voltage": None}  # too little for a motor to be fitted, enough for the typical one
TAPS = {"duty__part_flow": "by a lower tap or regulator step", "duty__steps__1__flow_share": "70 %"}


@pytest.mark.parametrize(
    ("changes", "letter", "step", "words"),
    [
        ({}, "A", 0, "W as read"), ({}, "A", 1, "W of the fitted motor"), ({}, "B", 0, "W of the new motor"),
        (BARE, "A", 1, "the change of"), (BARE, "B", 0, "η of a new motor"), ({}, "C", 1, "P_w"), ({}, "D", 1, "drive"),
        ({"readings": "both", **TAPS}, "A", 1, "as read on the tap"), ({"readings": "both", **TAPS}, "B", 1, "W today"),
    ],
)  # fmt: skip
def test_every_step_says_by_which_formulas_it_came_about(
    changes: dict[str, Any], letter: str, step: int, words: str
) -> None:
    if changes.get("readings") == "both":
        changes = {**changes, "readings": SETS}
    solved = option(assessed(KRAUSE, **changes), letter).steps[step]
    assert words in solved.workings.input_power.formula
    for part in ("flow", "speed", "shaft_power", "input_power"):
        working = getattr(solved.workings, part)
        assert working.formula and working.ingredients and working.source
        assert sum(working.shares.values()) == pytest.approx(1)
    symbols = {ingredient.symbol for ingredient in solved.workings.input_power.ingredients}
    assert ("P_w" in symbols) == (letter == "C")


def test_a_step_can_be_worked_by_hand_from_its_own_working() -> None:
    """The electronic motor's watts at half flow, from nothing but the values that its working shows."""
    working = option(assessed(KRAUSE), "C").steps[1].workings.input_power
    value = {ingredient.symbol: ingredient.figure.value for ingredient in working.ingredients}
    torque = (value["P"] / value["n"]) / (value["P_N"] / value["n_N"])
    speed = value["n"] / value["n_N"]
    losses = value["P_c"] + value["P_i"] * torque + value["P_w"] * torque**2 + value["P_n"] * speed**1.4
    assert watts(assessed(KRAUSE), "C", 1) == pytest.approx(value["P"] + losses, rel=1e-9)


def test_a_slip_line_can_be_drawn_by_hand_from_its_own_working() -> None:
    """The new motor's speed, from the torque that its wheel asks and the values that its working shows."""
    step = option(assessed(KRAUSE, **BARE), "B").steps[0]
    value = {ingredient.symbol: ingredient.figure.value for ingredient in step.workings.speed.ingredients}
    torque = step.shaft_power.value / step.speed.value / (186.42497 / value["n_N"])
    rated_slip = (value["n_s"] - value["n_N"]) / value["n_s"]
    by_hand = value["n_s"] * (1 - rated_slip * torque)
    assert step.speed.value == pytest.approx(by_hand, abs=0.01)


def test_a_new_motor_runs_where_its_own_torque_meets_the_wheel() -> None:
    """Plate motor and wheel, each asked by itself at the solved speed, give and take the same torque."""
    job = Job.model_validate(KRAUSE)
    fit = fit_job(job)
    assert fit.bare
    step = option(assess(job, fit), "B").steps[0]
    slip = 1 - step.speed.value / 1800
    at = fit.bare.motor.at_slip(Supply(110.0, 60.0), slip)
    assert at.shaft_power_w == pytest.approx(step.shaft_power.value, rel=1e-5)
    assert at.input_power_w == pytest.approx(step.input_power.value, rel=1e-5)


def test_a_drive_and_its_motor_take_their_losses() -> None:
    """At full flow a drive costs a few per cent and at half flow on a free duct it saves most; never below the shaft."""
    kept, driven = (option(assessed(KRAUSE), letter) for letter in "AD")
    for step in driven.steps:
        assert step.input_power.value > step.shaft_power.value
    assert driven.steps[1].input_power.value < 0.35 * kept.steps[1].input_power.value
    assert driven.steps[1].input_power.value > option(assessed(KRAUSE), "C").steps[1].input_power.value


def test_keeping_it_takes_at_full_flow_what_was_read() -> None:
    step = option(assessed(KRAUSE), "A").steps[0]
    assert step.input_power.value == pytest.approx(305.8)
    assert step.input_power.uncertainty == pytest.approx(
        305.8 * 0.02, rel=0.05
    )  # the wattmeter's own 2 %, and its last digit


@settings(max_examples=20)  # each solves every option anew
@given(st.floats(0.1, 0.99))
def test_slowed_on_a_free_duct_shaft_power_goes_with_the_cube(share: float) -> None:
    """Affinity laws, AMCA 201, where the duct follows the square of flow."""
    answer = assessed(KRAUSE, duty__steps__1__flow_share=f"{100 * share:.2f} %", duty__system_exponent="2")
    full, part = option(answer, "C").steps
    ratio = part.flow.value / full.flow.value
    assert ratio == pytest.approx(round(100 * share, 2) / 100)
    assert part.speed.value / full.speed.value == pytest.approx(ratio, rel=1e-5)
    assert part.shaft_power.value / full.shaft_power.value == pytest.approx(ratio**3, rel=1e-4)
    assert part.input_power.value > part.shaft_power.value  # losses never vanish, so watts fall less than the cube


def test_a_held_duct_pressure_takes_much_of_the_saving() -> None:
    """Where half the pressure is held, the cube of the flow promises far too much: the fan must keep its pressure."""
    free, held = assessed(KRAUSE), assessed(KRAUSE, duty__static_pressure_set_point="140 Pa")
    assert watts(held, "C", 1) > 1.6 * watts(free, "C", 1)
    assert option(held, "C").saved_energy.figure.value < option(free, "C").saved_energy.figure.value


def test_the_saving_is_narrower_than_its_two_years_apart() -> None:
    """Both years hang on the same wattmeter, hours and curve; what they share falls out."""
    c, a = option(assessed(KRAUSE), "C"), option(assessed(KRAUSE), "A")
    apart = (a.energy.figure.uncertainty**2 + c.energy.figure.uncertainty**2) ** 0.5
    assert c.saved_energy.figure.uncertainty < apart
    same = option(assessed(KRAUSE, duty__part_flow="it runs full all the same"), "B")
    assert (
        same.saved_energy.figure.uncertainty
        < 0.9 * (same.energy.figure.uncertainty**2 + a.energy.figure.uncertainty**2) ** 0.5
    )
    assert c.saved_energy.figure.value == pytest.approx(a.energy.figure.value - c.energy.figure.value)


def test_the_baseline_saves_nothing_and_says_so() -> None:
    a = option(assessed(KRAUSE), "A")
    assert codes_of(a.saved_energy.waits) == codes_of(a.payback.waits) == {"year-results-the-base"}


@pytest.mark.parametrize(
    ("part_flow", "low", "high"),
    [("it runs full all the same", 305, 306), ("by a damper or valve", 190, 295)],
)
def test_how_part_flow_is_met_today_decides_what_it_takes(part_flow: str, low: float, high: float) -> None:
    assert low < watts(assessed(KRAUSE, duty__part_flow=part_flow), "A", 1) < high


def test_a_lower_tap_takes_what_was_read_on_it() -> None:
    taps = {
        "duty__part_flow": "by a lower tap or regulator step",
        "duty__steps__1__flow_share": "70 %",
        "duty__system_exponent": "2",
    }
    answer = assessed(KRAUSE, readings=SETS, **taps)
    step = option(answer, "A").steps[1]
    assert step.input_power.value == pytest.approx(185) and "as read in set 2" in step.note
    assert step.flow.value / option(answer, "A").steps[0].flow.value == pytest.approx(1200 / 1710, rel=1e-6)
    waits = assessed(KRAUSE, **taps)
    assert "keep-solved-tap-unread" in codes_of(option(waits, "A").energy.waits)
    too_little = assessed(KRAUSE, readings=SETS, **{**taps, "duty__steps__1__flow_share": "90 %"})
    assert "keep-weighed-tap-gives" in codes_of(option(too_little, "A").steps[1].note)


def test_an_option_that_moves_less_says_so() -> None:
    answer = assessed(KRAUSE, duty__part_flow="it runs full all the same")
    assert "limits-of-moves-less" in codes_of(option(answer, "C").limits[0])
    assert not any("limits-of-moves-less" in codes_of(limit) for limit in option(assessed(KRAUSE), "C").limits)


def test_an_overloaded_electronic_motor_wants_the_next_size() -> None:
    answer = assessed(KRAUSE, nameplate__rated_power="1/6 hp", nameplate__rated_current="2.4 A")
    assert any("options-electronic-noted-needs-torque" in codes_of(limit) for limit in option(answer, "C").limits)
    # What else is noted of a step is no limit.
    assert all(option(answer, "D").steps[0].note != limit for limit in option(answer, "D").limits)


def test_a_new_motor_of_less_slip_runs_faster_and_takes_more() -> None:
    """A lower-slip replacement moves more and can eat its own saving (+6 % shaft power from 1,725 to 1,760 rpm)."""
    slow = assessed(KRAUSE, readings__0__speed="1,680 rpm")
    assert option(slow, "B").steps[0].speed.value > 1690
    assert option(slow, "B").steps[0].shaft_power.value > option(slow, "A").steps[0].shaft_power.value


def test_bands_that_overlap_do_not_choose() -> None:
    """Two electronic motors of one plate take the same; a new capacitor motor plainly takes more."""
    alike = [{"id": "k1", "kind": "electronic"}, {"id": "k2", "kind": "airflow"}]
    words = plain(assessed(KRAUSE, options={"candidates": alike}).short.differences)
    assert words in ("B and C tie.", "C and B tie.")
    three = [*alike, {"id": "k3", "kind": "same kind"}]
    words = plain(assessed(KRAUSE, options={"candidates": three}).short.differences)
    assert "tie" in words and words.endswith("more than D.")


PROTECTED = {"call__protected": "smoke control"}


def test_a_protected_duty_keeps_the_flow_found_where_none_is_documented() -> None:
    answer = assessed(KRAUSE, duty__part_flow="it runs full all the same", **PROTECTED)
    full, half = option(answer, "C").steps
    assert half.flow.value == pytest.approx(full.flow.value) and "options-electronic-held" in codes_of(half.note)
    stops = [finding for finding in answer.findings if finding.severity == "stop"]
    assert {finding.station for finding in stops} == {"call", "duty", "options"}
    assert answer.board.stopped and "protected_duty" in rules(answer)


def test_a_documented_least_flow_is_the_floor() -> None:
    answer = assessed(KRAUSE, call__minimum_airflow="400 L/s", duty__part_flow="it runs full all the same", **PROTECTED)
    assert option(answer, "C").steps[1].flow.value == pytest.approx(0.4)
    assert any(
        "limits-of-may-move" in codes_of(limit) for limit in option(answer, "C").limits
    )  # the flow was read to ± 7 %


def test_an_option_that_would_fall_below_a_protected_flow_is_stopped() -> None:
    answer = assessed(KRAUSE, call__minimum_airflow="700 L/s", **PROTECTED)
    b = option(answer, "B")
    assert b.stop and "options-year-least-words-documented-least" in codes_of(b.stop)
    assert b.energy.figure is None and b.payback.figure is None and b.steps[0].input_power is None
    assert "found_below_minimum" in rules(answer)


def test_a_new_motor_of_the_same_kind_may_run_slower_and_a_protected_duty_says_so() -> None:
    answer = assessed(KRAUSE, readings__0__speed="1,735 rpm", **PROTECTED)
    assert any("limits-of-may-move" in codes_of(limit) for limit in option(answer, "B").limits)


def test_an_unanswered_question_is_not_a_no() -> None:
    assert "protection_unanswered" in rules(assessed(KRAUSE, call__protected=None))
    assert "protection_unanswered" not in rules(assessed(KRAUSE))
