"""The flow of a second set: on the same duct by affinity, on another one along the curve."""

from __future__ import annotations

from typing import Any

import pytest

from modest_rotor.core.assess import fit_job
from modest_rotor.core.identify.perturb import Change, Setup, perturbed
from modest_rotor.core.job import Job
from modest_rotor.core.physics.fan import MachineCurve, MachineType, generic_shape
from modest_rotor.core.physics.load import Load
from modest_rotor.core.physics.supply import Supply
from modest_rotor.core.physics.system import system_through
from tests.jobs import KRAUSE, assessed

FIRST: dict[str, Any] = KRAUSE["document"]["readings"][0]  # type: ignore[index]


def point(answer: Any, name: str) -> Any:
    return next(one for one in answer.balance.points if one.id == name)


def second(**read: str) -> dict[str, Any]:
    bare = {key: value for key, value in FIRST.items() if key != "airflow"}
    return {**bare, "id": "s2", "name": "again", **read}


def test_on_the_same_duct_flow_goes_with_speed() -> None:
    """Half the speed, a quarter of the pressure (280 Pa in all): half the flow, AMCA 201; a trace less on a duct whose exponent
    is 1.9, as the place on the curve moves to the left: ψ(x) / x^1.9 grows by 2^0.1."""
    slow = second(speed="855 rpm", supply_static="32.5 Pa", return_static="-37.5 Pa", tap="low tap")
    assert point(assessed(KRAUSE, readings=[FIRST, slow]), "s2").flow.value == pytest.approx(0.255, rel=0.03)


@pytest.mark.parametrize("change", [Change.FILTER_OUT, Change.TIGHTER])
def test_on_another_duct_it_is_found_along_the_curve(change: Change) -> None:
    """The fitted motor on a generic wheel, its duct opened or tightened, gives the readings of the second set; the flow that
    follows moves the right way, and its uncertainty holds the truth."""
    job = Job.model_validate(KRAUSE)
    fit = fit_job(job)
    assert fit.full
    machine_type = MachineCurve(generic_shape(MachineType.BACKWARD_INCLINED), 0.51, 280.0, 208.0, 1.0)
    setup = Setup(fit.full.motor, Supply(110.0, 60.0), Load(machine_type, 1710.0, system_through(0.51, 280.0, 0.0)))
    at = perturbed(setup, change, 0.6 if change is Change.FILTER_OUT else 2.0).settled()
    read = second(
        speed=f"{at.motor.speed_rpm:.0f} rpm", current=f"{at.motor.current_a:.2f} A", input_power=f"{at.motor.input_power_w:.1f} W",
        supply_static=f"{at.load.pressure - 150:.1f} Pa", return_static="-150 Pa",
    )  # fmt: skip
    found = point(assessed(KRAUSE, readings=[FIRST, read]), "s2").flow
    truth = float(at.load.flow)
    assert abs(found.value - truth) < found.uncertainty
    assert (found.value > 0.51) == (truth > 0.51)
