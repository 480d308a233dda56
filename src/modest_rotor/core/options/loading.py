"""What happens when the filter loads: the same setting on a tighter system, for whatever an option holds."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum

import numpy as np

from modest_rotor.core.estimate import Array, Estimate, propagate
from modest_rotor.core.identify.fit import FittedMotor
from modest_rotor.core.options.contract import CURVE, OptionKind, curve_and_system
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.rating import Rating, electronic_rating
from modest_rotor.core.options.solved import run_on, stacked
from modest_rotor.core.options.year import Solved
from modest_rotor.core.physics import electronic
from modest_rotor.core.physics.load import Load, speed_ratio_for_flow
from modest_rotor.core.physics.roots import crossing
from modest_rotor.core.physics.supply import Supply

FACTORS = (1.0, 1.2, 1.4, 1.7, 2.0, 2.5)
"""Flow-dependent part of the system over that of today, at which the picture is drawn."""
LEAST, MOST, HALVINGS = 0.3, 1.8, 4


class Holds(StrEnum):
    """What a setting keeps when the system changes."""

    MOTOR = "the motor finds its speed"
    SPEED = "speed"
    TORQUE = "torque"
    AIRFLOW = "airflow"


HELD = {
    OptionKind.TORQUE: Holds.TORQUE,
    OptionKind.AIRFLOW: Holds.AIRFLOW,
    OptionKind.ELECTRONIC: Holds.SPEED,
    OptionKind.ONE_SPEED: Holds.SPEED,
    OptionKind.SLOWED: Holds.SPEED,
    OptionKind.DRIVE: Holds.SPEED,
    OptionKind.CAPACITOR_DRIVE: Holds.SPEED,
    OptionKind.KEEP: Holds.MOTOR,
    OptionKind.SAME_KIND: Holds.MOTOR,
}
"""Kinds whose answer to a tighter system is drawn; the others have a wheel of their own, or are pumps."""


@dataclass(frozen=True)
class Loaded:
    """An option's first step on tighter systems, one estimate for each factor."""

    flow: tuple[Estimate, ...]
    input_power: tuple[Estimate, ...]
    holds: Holds


def loaded(solved: Solved, found: FoundMachine, factors: tuple[float, ...]) -> Loaded | None:
    """How flow and watts of an option's first step change as the system tightens; nothing where that is not known.

    :param factors: flow-dependent part of the system over that of the machine put right.
    """
    holds = HELD.get(solved.considered.kind)
    step = solved.steps[0] if solved.steps else None
    if holds is None or step is None or not (step.flow and step.speed and step.input_power and step.shaft_power):
        return None
    motor = _motor(solved, found) if holds is Holds.MOTOR else None
    if holds is Holds.MOTOR and motor is None:
        return None
    rating = electronic_rating(found, solved.considered)
    count = len(factors)

    def work(*columns: Array) -> Array:
        setting = _Setting(found, columns, np.array(factors), rating, motor)
        flow, power = {
            Holds.MOTOR: setting.by_motor,
            Holds.SPEED: setting.at_speed,
            Holds.TORQUE: setting.at_torque,
            Holds.AIRFLOW: setting.at_flow,
        }[holds]()
        return np.hstack([flow + 0 * power, power])

    inputs = (*found.curve_inputs, found.speed, step.speed, step.shaft_power, step.input_power, step.flow)
    numbers = motor.estimates if motor else (rating.losses,)
    estimates = propagate(work, *inputs, found.volts, *numbers)
    if not all(np.isfinite([one.value, one.standard]).all() for one in estimates):
        return None
    return Loaded(estimates[:count], estimates[count:], holds)


def _motor(solved: Solved, found: FoundMachine) -> FittedMotor | None:
    return found.own if solved.considered.kind is OptionKind.KEEP else found.new


GIVEN = CURVE + 6


class _Setting:
    """One setting on many systems; every answer is ``(scenarios, factors)``."""

    def __init__(
        self, found: FoundMachine, columns: tuple[Array, ...], factors: Array, rating: Rating, motor: FittedMotor | None
    ) -> None:
        curve = columns[:CURVE]
        self.base, self.speed, self.shaft, self.watts, self.flow, self.volts = columns[CURVE:GIVEN]
        self.machine, system = curve_and_system(found, *curve)
        self.system = system.tightened(factors)
        self.was = system
        self.rating, self.motor, self.numbers = rating, motor, columns[GIVEN:]

    def at_speed(self) -> tuple[Array, Array]:
        """The same speed; losses other than the shaft's taken in proportion."""
        point = Load(self.machine, self.base, self.system).at_motor_speed(self.speed)
        return np.asarray(point.flow), self.watts * point.machine_power_w / self.shaft

    def at_flow(self) -> tuple[Array, Array]:
        """The same flow, at whatever speed that takes."""
        ratio = speed_ratio_for_flow(self.machine, self.system, self.flow)
        power = self.machine.power_at(self.flow + 0 * ratio, ratio)
        watts = self._electronic(power, self.base * ratio)
        return self.flow + 0 * watts, watts

    def at_torque(self) -> tuple[Array, Array]:
        """The same torque, at whatever speed that gives."""
        load = Load(self.machine, self.base, self.system)
        held = self.shaft / self.speed

        def surplus(ratio: Array) -> Array:
            rpm = self.speed * ratio
            return np.asarray(held - load.at_motor_speed(rpm).machine_power_w / rpm)

        zero = 0 * (held * self.system.coefficient)
        low, high = LEAST + zero, MOST + zero
        for _ in range(HALVINGS):
            middle = (low + high) / 2
            over = surplus(middle) > 0
            low, high = np.where(over, middle, low), np.where(over, high, middle)
        rpm = self.speed * crossing(surplus, low, high)
        point = load.at_motor_speed(rpm)
        return np.asarray(point.flow), self._electronic(np.asarray(point.machine_power_w), rpm)

    def by_motor(self) -> tuple[Array, Array]:
        """The induction motor's own speed on each system, carried to the point by ratio."""
        assert self.motor is not None
        motor, hertz = stacked(self.motor.family, self.numbers), self.motor.plate.frequency_hz or 0.0
        supply = Supply(self.volts, hertz)
        before, after = (Load(self.machine, self.base, system) for system in (self.was, self.system))
        was = run_on(
            self.motor.family, motor, supply, lambda rpm: before.at_motor_speed(rpm).torque_nm, self.base.shape
        )
        shape = (self.base.shape[0], self.system.coefficient.shape[1])
        now = run_on(self.motor.family, motor, supply, lambda rpm: after.at_motor_speed(rpm).torque_nm, shape)
        rpm = self.speed * now.speed_rpm / was.speed_rpm
        flow = after.at_motor_speed(np.where(np.isnan(rpm), self.speed, rpm)).flow
        return np.asarray(flow), self.watts * now.input_power_w / was.input_power_w

    def _electronic(self, power: Array, rpm: Array) -> Array:
        """Watts by the electronic motor's losses, carried to the step's own watts by ratio."""
        (scatter,) = self.numbers

        def taken(shaft: Array, speed: Array) -> Array:
            torque = shaft / speed / self.rating.torque_scale
            return electronic.input_power_w(shaft, self.rating.power_w, torque, speed / self.rating.speed_rpm, scatter)

        return np.asarray(self.watts * taken(power, rpm) / taken(self.shaft, self.speed))
