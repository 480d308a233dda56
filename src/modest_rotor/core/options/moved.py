"""The machine as found with something about it changed: system, wheel or capacitor. The motor finds its new point."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, replace

import numpy as np

from modest_rotor.core.estimate import Array, Estimate, exactly, propagate
from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.options.contract import CURVE, curve_and_system
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.solved import run_on, stacked
from modest_rotor.core.outcome import Absent, Withheld
from modest_rotor.core.physics.fan import MachineCurve
from modest_rotor.core.physics.induction import input_power_w
from modest_rotor.core.physics.load import Load
from modest_rotor.core.physics.supply import Supply
from modest_rotor.core.say import say

UNCHANGED = exactly(1.0)
NO_POINT = say("moved-no-point")
MOVED = 6
"""Flow, pressure, speed, shaft power, input power, place on the curve."""


@dataclass(frozen=True)
class Moves:
    """What changes: the flow-dependent part of the system, the wheel's pressure and power, and the capacitor's µF, each
    as a ratio of what it becomes to what it was; ``capacitor`` is what it is now over its label.
    """

    system: Estimate = UNCHANGED
    wheel: Estimate = UNCHANGED
    capacitor: Estimate = UNCHANGED

    @property
    def is_none(self) -> bool:
        """Whether nothing changes."""
        return all(one.value == 1.0 and not one.contributions for one in (self.system, self.wheel, self.capacitor))


def moved_machine(found: FoundMachine, moves: Moves) -> FoundMachine | Absent:
    """The machine after a change, ready to be asked for other flows; or the sentence that says why there is none.

    The motor is solved before and after; what was read is carried by the ratio of the two. With a weak capacitor the
    readings bend a fit, so there the plate's own motor is asked; elsewhere the one fitted to everything. Where no motor is
    fitted, its speed is taken as unchanged.

    :param found: the machine, in SI. :param moves: what changes, each as a ratio.

    Source: motor by its fields, textbook; carried by ratio, our method.
    """
    if moves.is_none:
        return found
    inputs = (
        *found.curve_inputs,
        found.speed,
        found.input_power,
        found.volts,
        moves.system,
        moves.wheel,
        moves.capacitor,
    )
    weak = moves.capacitor.value != 1.0
    if weak and found.plate.kind is not MotorKind.SPLIT_CAPACITOR:
        return Withheld(say("moved-machine"))
    motor = found.new if weak else found.own
    if motor is None:
        after = propagate(lambda *columns: _at_same_speed(found, *columns), *inputs, *_typical(found))
    else:
        after = propagate(lambda *columns: _solved(found, weak, *columns), *inputs, *motor.estimates)
    if not all(np.isfinite([estimate.value, estimate.standard]).all() for estimate in after):
        return Withheld(NO_POINT)
    flow, pressure, speed, power, watts, place = after
    return replace(
        found,
        flow=flow,
        pressure=pressure,
        speed=speed,
        shaft_power=power,
        input_power=watts,
        place=place,
        is_moved=True,
    )


def _typical(found: FoundMachine) -> tuple[Estimate, Estimate]:
    return found.motor.rated_efficiency, found.motor.fixed_share


def _after(machine: MachineCurve, wheel: Array) -> MachineCurve:
    return replace(machine, pressure=machine.pressure * wheel, power=machine.power * wheel)


def _solved(found: FoundMachine, weak: bool, *columns: Array) -> Array:
    motor_of = found.new if weak else found.own
    assert motor_of is not None
    curve, (speed, watts, volts, system_ratio, wheel, capacitor), numbers = (
        columns[:CURVE],
        columns[CURVE : CURVE + MOVED],
        columns[CURVE + MOVED :],
    )
    machine, system = curve_and_system(found, *curve)
    motor = stacked(motor_of.family, numbers)
    hertz = motor_of.plate.frequency_hz or 0.0
    before = Load(machine, speed, system)
    after = Load(_after(machine, wheel), speed, system.tightened(system_ratio))

    def torque_on(load: Load) -> Callable[[Array], Array]:
        return lambda rpm: np.asarray(load.torque_at(rpm))

    weakened, sound = Supply(volts, hertz, capacitor_health=capacitor), Supply(volts, hertz)
    was = run_on(motor_of.family, motor, weakened, torque_on(before), speed.shape)
    now = run_on(motor_of.family, motor, sound, torque_on(after), speed.shape, was)
    rpm = speed * now.speed_rpm / was.speed_rpm
    point = after.at_motor_speed(np.where(np.isnan(rpm), speed, rpm))
    taken = watts * now.input_power_w / was.input_power_w
    return np.hstack([point.flow, point.pressure, rpm, point.machine_power_w, taken, point.place + 0 * rpm])


def _at_same_speed(found: FoundMachine, *columns: Array) -> Array:
    curve, (speed, watts, _, system_ratio, wheel, _), (efficiency, fixed_share) = (
        columns[:CURVE],
        columns[CURVE : CURVE + MOVED],
        columns[CURVE + MOVED :],
    )
    machine, system = curve_and_system(found, *curve)
    rated = found.plate.rated_power_w or 1.0
    point = Load(_after(machine, wheel), speed, system.tightened(system_ratio)).at_motor_speed(speed)
    change = input_power_w(point.machine_power_w, rated, efficiency, fixed_share) - input_power_w(
        curve[2], rated, efficiency, fixed_share
    )
    return np.hstack(
        [point.flow, point.pressure, speed, point.machine_power_w, watts + change, point.place + 0 * speed]
    )
