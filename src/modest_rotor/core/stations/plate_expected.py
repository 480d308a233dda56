"""What the motor of a plate should show by itself: at full load, with a bare shaft, with its rotor held."""

from __future__ import annotations

import numpy as np

from modest_rotor.core.estimate import Array, propagate
from modest_rotor.core.identify.candidate import at_rated, highest_slip
from modest_rotor.core.identify.fit import FittedMotor
from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.identify.rows import UNLOADED_SLIP
from modest_rotor.core.outcome import Waiting
from modest_rotor.core.say import say, tell
from modest_rotor.core.stations.motor_fit import MotorFit
from modest_rotor.core.working import Ingredient, Result, given, not_known, result, withheld

SOURCE = say("plate-expected-source")
LABELS = (
    ("efficiency", say("plate-expected-labels-efficiency-full"), say("plate-expected-labels-p-n")),
    ("power_factor", say("plate-expected-labels-power-factor"), say("plate-expected-labels-w-s")),
    ("current", say("plate-expected-labels-amps-bare"), say("plate-expected-labels-i-fitted")),
    ("current", say("plate-expected-labels-amps-rotor"), say("plate-expected-labels-i-fitted-motor")),
)


def expected_results(fit: MotorFit) -> tuple[Result, ...]:
    """Efficiency and power factor at full load, amps with a bare shaft and with the rotor held; or what they wait for.

    Where the run capacitor's label was not read, what the fitted motor makes of it as well.

    Source: the equivalent circuit at full load, without load and at rest, textbooks.
    """
    motor = fit.full
    if motor is None:
        refusal = fit.refusal or Waiting(say("term-waits-for-the-plate"))
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
        told[-1] = withheld(LABELS[-1][1], tell("plate-expected-expected-results-start-switch"))
    if motor.plate.kind is MotorKind.SPLIT_CAPACITOR and motor.plate.run_capacitance_f is None:
        told.append(_rough_capacitor(motor))
    return tuple(told)


def _rough_capacitor(motor: FittedMotor) -> Result:
    """The run capacitor whose label cannot be read, from what the fitted motor needs to stand where plate and readings have it."""

    def work(*columns: Array) -> Array:
        return motor.family.values(np.concatenate(columns, axis=-1))["c"][:, None]

    (value,) = propagate(work, *motor.estimates)
    return result(
        say("plate-expected-rough-capacitor-run-capacitor"),
        "capacitance",
        value,
        say("plate-expected-rough-capacitor-c-fitted"),
        _ingredients(motor),
        SOURCE,
        (say("plate-expected-rough-capacitor-rough-nothing"),),
    )


def _ingredients(motor: FittedMotor) -> tuple[Ingredient, ...]:
    plate = motor.plate
    asked = (
        ("P_N", say("term-rated-power"), "rated_power", plate.rated_power_w),
        ("V_N", say("term-rated-volts"), "rated_voltage", plate.rated_voltage_v),
        ("I_N", say("term-full-load-amps"), "rated_current", plate.rated_current_a),
        ("n_N", say("term-rated-speed"), "rated_speed", plate.rated_speed_rpm),
        ("f", say("term-frequency"), "frequency", plate.frequency_hz),
        ("C", say("term-run-capacitor"), "capacitance", plate.run_capacitance_f),
    )
    return tuple(
        given(symbol, label, quantity, value, "plate", say("origin-plate"))
        for symbol, label, quantity, value in asked
        if value
    )
