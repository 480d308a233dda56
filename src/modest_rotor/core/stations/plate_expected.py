"""What the motor of a plate should show by itself: at full load, with a bare shaft, with its rotor held."""

from __future__ import annotations

import numpy as np

from modest_rotor.core.estimate import Array, propagate
from modest_rotor.core.identify.candidate import at_rated, highest_slip
from modest_rotor.core.identify.fit import FittedMotor
from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.identify.rows import UNLOADED_SLIP
from modest_rotor.core.outcome import Waiting
from modest_rotor.core.stations.motor_fit import MotorFit
from modest_rotor.core.working import Ingredient, Result, given, not_known, result, withheld

SOURCE = (
    "A motor fitted to this plate by the equations of its kind; what is likely of its kind is our judgement, no source."
    " Compare with a reading before believing either."
)
LABELS = (
    ("efficiency", "Efficiency at full load", "η = P_N ÷ W of the fitted motor at rated load"),
    ("power_factor", "Power factor at full load", "λ = W ÷ S of the fitted motor at rated load"),
    ("current", "Amps with a bare shaft", "I of the fitted motor with nothing on its shaft, at rated volts"),
    ("current", "Amps with the rotor held", "I of the fitted motor at standstill, at rated volts"),
)


def expected_results(fit: MotorFit) -> tuple[Result, ...]:
    """Efficiency and power factor at full load, amps with a bare shaft and with the rotor held; or what they wait for.

    Where the run capacitor's label was not read, what the fitted motor makes of it as well.

    Source: the equivalent circuit at full load, without load and at rest, textbooks.
    """
    motor = fit.full
    if motor is None:
        refusal = fit.refusal or Waiting("waits for the plate")
        return tuple(not_known(label, refusal) for _, label, _ in LABELS)
    has_switch = motor.plate.kind is MotorKind.SINGLE_PHASE

    def work(*columns: Array) -> Array:
        numbers = np.concatenate(columns, axis=-1)[:, None, :]
        slip = np.clip(motor.family.true_rated_slip(numbers), UNLOADED_SLIP, highest_slip(motor.plate))
        slips = np.concatenate((slip, 0 * slip + UNLOADED_SLIP, 0 * slip + (slip if has_switch else 1.0)), axis=-1)
        at = motor.family.motor(numbers).at_slip(at_rated(motor.plate), slips)
        full = (at.shaft_power_w[:, 0] / at.input_power_w[:, 0], at.power_factor[:, 0])
        return np.stack((*full, at.current_a[:, 1], at.current_a[:, 2]), axis=-1)

    values = propagate(work, *motor.estimates)
    told = [
        result(label, quantity, value, formula, _ingredients(motor), SOURCE)
        for (quantity, label, formula), value in zip(LABELS, values, strict=True)
    ]
    if has_switch:
        told[-1] = withheld(LABELS[-1][1], "its start switch is closed then, and the start winding is not on the plate")
    if motor.plate.kind is MotorKind.SPLIT_CAPACITOR and motor.plate.run_capacitance_f is None:
        told.append(_rough_capacitor(motor))
    return tuple(told)


def _rough_capacitor(motor: FittedMotor) -> Result:
    """The run capacitor whose label cannot be read, from what the fitted motor needs to stand where plate and readings have it."""

    def work(*columns: Array) -> Array:
        return motor.family.values(np.concatenate(columns, axis=-1))["c"][:, None]

    (value,) = propagate(work, *motor.estimates)
    return result(
        "Run capacitor, roughly",
        "capacitance",
        value,
        "C of the fitted motor at its plate and readings",
        _ingredients(motor),
        SOURCE,
        ("Rough: nothing is bought by it. Read the capacitor itself out of circuit, or its maker’s list.",),
    )


def _ingredients(motor: FittedMotor) -> tuple[Ingredient, ...]:
    plate = motor.plate
    asked = (
        ("P_N", "rated power", "rated_power", plate.rated_power_w),
        ("V_N", "rated volts", "rated_voltage", plate.rated_voltage_v),
        ("I_N", "full-load amps", "rated_current", plate.rated_current_a),
        ("n_N", "rated speed", "rated_speed", plate.rated_speed_rpm),
        ("f", "frequency", "frequency", plate.frequency_hz),
        ("C", "run capacitor", "capacitance", plate.run_capacitance_f),
    )
    return tuple(
        given(symbol, label, quantity, value, "plate", "plate") for symbol, label, quantity, value in asked if value
    )
