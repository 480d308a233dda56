"""The exponent of a system: as typed, found from two sets where they allow it, or that of ordinary ones with its doubt."""

from __future__ import annotations

import math
from typing import Any

import pytest
from fluids.friction import friction_factor

from modest_rotor.core.assess import build_case
from modest_rotor.core.job import Job
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.physics.system import EXPONENT_SPREAD, USUAL_EXPONENT
from tests.jobs import FITS, KRAUSE, assessed, changed, fit_job, job_fit_key, option

pytestmark = pytest.mark.slow

FIRST = KRAUSE["document"]["readings"][0]  # type: ignore[index]


def machine(**changes: Any) -> FoundMachine:
    job = Job.model_validate(changed(KRAUSE, **changes))
    found = build_case(job, FITS.setdefault(job_fit_key(job), fit_job(job))).found
    assert isinstance(found, FoundMachine)
    return found


def second(exponent: float, share: float, **more: str) -> dict[str, Any]:
    """A set at another flow on the same duct: 280 Pa at 510 L/s, p ∝ qⁿ."""
    return {
        "id": "s2", "name": "slower", "tap": "low tap", "speed": "1,300 rpm", "airflow": f"{510 * share:.2f} L/s",
        "supply_static": f"{130 * share**exponent:.2f} Pa", "return_static": f"{-150 * share**exponent:.2f} Pa", **more,
    }  # fmt: skip


@pytest.mark.parametrize("diameter", [0.1, 0.3, 0.8])
@pytest.mark.parametrize("speed", [2.0, 5.0, 10.0])
def test_straight_ducts_follow_less_than_the_square(diameter: float, speed: float) -> None:
    """Friction of galvanised duct (0.09 mm) by the Colebrook equation as fluids solves it, 1.5e-5 m²/s: the local exponent
    2 + d ln f ÷ d ln v lies at 1.75 to 1.95; fittings follow 2, so ordinary systems lie between."""

    def factor(v: float) -> float:
        return float(friction_factor(Re=v * diameter / 1.5e-5, eD=9e-5 / diameter))

    local = 2 + math.log(factor(1.05 * speed) / factor(0.95 * speed)) / math.log(1.05 / 0.95)
    assert 1.74 < local < 1.96
    assert local - 2 * EXPONENT_SPREAD < USUAL_EXPONENT < 2


def test_where_nothing_is_said_it_is_that_of_ordinary_systems_and_a_source_of_its_own() -> None:
    found = machine()
    assert found.exponent.value == USUAL_EXPONENT and found.exponent_basis == "assumed"
    step = option(assessed(KRAUSE), "C").steps[1]
    assert step.workings.shaft_power.shares["exponent of the system"] > 0.001


def test_a_typed_one_is_taken_and_watts_at_half_flow_feel_it() -> None:
    assert machine(duty__system_exponent="1.8").exponent_basis == "typed"
    watts = [option(assessed(KRAUSE, duty__system_exponent=f"{n}"), "C").steps[1].shaft_power.value for n in (1.8, 2.0)]
    assert watts[0] / watts[1] == pytest.approx(2**0.2, rel=0.04)  # q p: half the flow at p ∝ qⁿ


@pytest.mark.parametrize("true", [1.75, 1.9, 2.0])
def test_two_sets_on_one_duct_tell_it_as_far_as_they_lie_apart(true: float) -> None:
    far = machine(readings=[FIRST, second(true, 0.5)])
    near = machine(readings=[FIRST, second(true, 0.8)])
    assert far.exponent_basis == "estimated"
    assert abs(far.exponent.value - true) < abs(USUAL_EXPONENT - true) + 1e-3
    assert abs(far.exponent.value - true) <= far.exponent.uncertainty
    assert far.exponent.standard < near.exponent.standard <= EXPONENT_SPREAD


@pytest.mark.parametrize(
    "other",
    [
        second(1.9, 0.5, duct="filter out"),
        second(1.2, 0.5),
        second(1.9, 0.97),
        {"id": "s2", "speed": "1,300 rpm", "airflow": "255 L/s"},
    ],
    ids=["another duct", "no duct's law", "too near", "no static"],
)
def test_sets_that_tell_nothing_of_one_duct_leave_it_as_assumed(other: dict[str, Any]) -> None:
    assert machine(readings=[FIRST, other]).exponent_basis == "assumed"


@pytest.mark.parametrize("typed", ["0.5", "3", "two"])
def test_what_no_system_has_is_refused(typed: str) -> None:
    with pytest.raises(ValueError, match="xponent"):
        machine(duty__system_exponent=typed)
