"""Every solved point against a root of the same balance that SciPy brackets, and against laws that no machine escapes."""

from __future__ import annotations

import math
from dataclasses import replace
from typing import Any

import numpy as np
import pytest
from scipy.optimize import brentq

from modest_rotor.core.job import Job
from modest_rotor.core.options.contract import OptionKind
from modest_rotor.core.options.regulator import _resistance, _volts
from modest_rotor.core.physics.supply import Supply
from tests.core.options.test_kinds import PUMP, QUARTER_HORSE, of_kind
from tests.core.rules.test_safety import THREE_PHASE_FAN
from tests.jobs import KRAUSE, assessed, changed
from tests.machines import BLOWER, FAN, fitted

LINE = Supply(230.0, 60.0)


@pytest.mark.parametrize("slip", [0.15, 0.25, 0.35])
@pytest.mark.parametrize("share", [0.3, 0.5, 0.7])
def test_a_resistance_in_the_line_is_the_root_and_burns_its_watts_once(slip: float, share: float) -> None:
    """Ohms by a bracketing root; then the energy of the circuit: the line gives what the motor takes at its own terminals and I²R."""
    motor = fitted(BLOWER).motor
    torque = share * float(motor.at_slip(LINE, slip).torque_nm)
    supply, _ = _resistance(motor, LINE, np.array([slip]), np.array([torque]))
    ohms = float(np.asarray(supply.series_resistance)[0])

    def short(r: float) -> float:
        return float(motor.at_slip(replace(LINE, series_resistance=r), slip).torque_nm) - torque

    assert ohms == pytest.approx(brentq(short, 0.0, 5000.0), rel=1e-4)
    whole = motor.at_slip(replace(LINE, series_resistance=ohms), slip)
    amps = float(whole.current_a)

    def off(volts: float) -> float:
        return float(motor.at_slip(replace(LINE, voltage=volts), slip).current_a) - amps

    bare = motor.at_slip(replace(LINE, voltage=brentq(off, 1.0, 230.0)), slip)
    assert float(whole.input_power_w) == pytest.approx(float(bare.input_power_w) + amps**2 * ohms, rel=1e-4)
    assert float(bare.torque_nm) == pytest.approx(torque, rel=1e-4)


@pytest.mark.parametrize("slip", [0.12, 0.2, 0.4])
@pytest.mark.parametrize("share", [0.2, 0.5, 0.8])
def test_lower_volts_are_the_root(slip: float, share: float) -> None:
    motor = fitted(FAN).motor
    line = Supply(115.0, 60.0)
    torque = share * float(motor.at_slip(line, slip).torque_nm)
    supply, _ = _volts(motor, line, np.array([slip]), np.array([torque]))
    by_root = brentq(lambda v: float(motor.at_slip(replace(line, voltage=v), slip).torque_nm) - torque, 5.0, 115.0)
    assert float(np.asarray(supply.voltage)[0]) == pytest.approx(by_root, rel=1e-4)


KINDS = [kind for kind in OptionKind if kind is not OptionKind.KEEP]
MACHINES: dict[str, dict[str, Any]] = {
    "capacitor fan": QUARTER_HORSE,
    "textbook fan": KRAUSE,
    "three-phase fan": THREE_PHASE_FAN,
    "pump": PUMP,
}


@pytest.mark.slow
@pytest.mark.parametrize("kinds", [KINDS[:9], KINDS[9:]], ids=["first", "rest"])
@pytest.mark.parametrize("name", MACHINES)
def test_no_point_takes_more_watts_than_volt_amperes_or_gives_more_than_it_takes(
    name: str, kinds: list[OptionKind]
) -> None:
    """Watts ≤ V A (× √3), shaft ≤ input, flow × pressure ≤ shaft, power factor and efficiencies ≤ 1: of every option of every kind."""
    data = MACHINES[name]
    candidates = [{"id": f"o{number}", "kind": str(kind), "price": "400"} for number, kind in enumerate(kinds)]
    told = assessed(data, options={"candidates": candidates})
    job = Job.model_validate(changed(data))
    volts = job.document.before[0].voltage
    assert volts is not None
    factor = math.sqrt(3) if job.document.nameplate.phases == 3 else 1.0
    checked = 0
    for option in told.options.options:
        for step in option.steps:
            if step.input_power is None:
                continue
            watts = step.input_power.value
            if step.current is not None:
                assert watts <= factor * volts.si * step.current.value * 1.001, (option.title, step.name)
                checked += 1
            if step.shaft_power is not None:
                assert step.shaft_power.value <= watts * 1.001, (option.title, step.name)
            if step.flow is not None and step.pressure is not None and step.shaft_power is not None:
                assert (
                    step.flow.value * step.pressure.value
                    <= step.shaft_power.value * 1.05 + step.shaft_power.uncertainty
                ), option.title  # type: ignore[operator]
            for share in (step.power_factor, step.motor_efficiency, step.whole_efficiency):
                assert share is None or 0 < share.value <= 1.0, (option.title, step.name)
    assert checked >= 2, "amps were told of several steps"


@pytest.mark.slow
@pytest.mark.parametrize(
    ("kind", "data"),
    [(OptionKind.DRIVE, THREE_PHASE_FAN), (OptionKind.DRIVE, PUMP), (OptionKind.ELECTRONIC, QUARTER_HORSE)],
)
def test_a_commanded_step_gives_the_flow_that_was_asked_on_the_system_that_was_found(
    kind: OptionKind, data: dict[str, Any]
) -> None:
    """On a free system without lift p = k qⁿ passes through the set that was read: the part step lies on it, and takes less."""
    one = of_kind(data, kind)
    full, part = one.steps[0], one.steps[1]
    exponent = math.log(full.pressure.value / part.pressure.value) / math.log(full.flow.value / part.flow.value)
    assert 1.7 < exponent < 2.05, "duct or pipe of the found exponent"
    assert part.flow.value / full.flow.value == pytest.approx(part.demand.value / full.demand.value, rel=0.01)
    ratio = part.flow.value / full.flow.value
    assert part.shaft_power.value / full.shaft_power.value == pytest.approx(ratio**3, rel=0.12), "near the cube law"
    assert part.speed.value / full.speed.value == pytest.approx(ratio, rel=0.06), "and near proportion"
