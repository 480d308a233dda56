"""A step whose flow was said but is not known yet has no point, and its working shows what the number rests on."""

from __future__ import annotations

import pytest

from modest_rotor.core.phrase import plain
from tests.core.setup.test_setup_answer import WAITING
from tests.jobs import KRAUSE, assessed, option
from tests.said import codes_of

pytestmark = pytest.mark.slow


def test_a_step_on_a_tap_that_is_not_known_is_not_shown_at_full_flow() -> None:
    three_phase = {
        "nameplate__phases": 3, "nameplate__run_capacitance": None, "nameplate__rated_current": "1.2 A", "nameplate__rated_voltage": "230 V",
        "readings__0__voltage": "230 V", "readings__0__current": "1.1 A", "readings__0__input_power": None,
    }  # fmt: skip
    tap = {"duty__steps__1__flow_share": None, "duty__steps__1__wants": "a tap", "duty__steps__1__tap": "low tap"}
    answer = assessed(KRAUSE, **three_phase, **tap)
    for letter in "AC":
        full, low = option(answer, letter).steps
        assert full.input_power is not None
        assert low.input_power is None and low.flow is None and "term-low-tap" in codes_of(low.note)
        assert option(answer, letter).energy.figure is None


def test_a_step_of_which_nothing_was_said_yet_still_shows_full_flow() -> None:
    step = option(assessed(KRAUSE, duty__steps__1__flow_share=None), "A").steps[1]
    assert step.input_power is not None


@pytest.mark.parametrize(("typed", "basis"), [(None, "assumed"), ("2", "typed")])
def test_the_working_of_a_slowed_step_shows_the_exponent_it_stands_on(typed: str | None, basis: str) -> None:
    working = option(assessed(KRAUSE, duty__system_exponent=typed), "C").steps[1].workings.speed
    exponent = next(one for one in working.ingredients if one.symbol == "m")
    assert "q^m" in working.formula and exponent.figure.basis == basis
    assert exponent.figure.value == pytest.approx(float(typed or 1.9))


def test_a_tap_that_nobody_read_is_told_with_an_uncertainty_that_holds_what_its_turns_may_be() -> None:
    """Our judgement: its flow may be 3 %, its watts 11 % off beyond what the assumed turns cover, each one standard deviation."""
    tap = {"duty__steps__0__flow_share": None, "duty__steps__0__wants": "a tap", "duty__steps__0__tap": "medium tap"}
    medium = option(assessed(WAITING, **tap), "A").steps[0]
    assert medium.flow and medium.input_power and plain(medium.setting) == "medium tap"
    for one, share in ((medium.flow, 0.03), (medium.input_power, 0.11)):
        assert 1.96 * share < one.uncertainty / one.value < 5 * share
