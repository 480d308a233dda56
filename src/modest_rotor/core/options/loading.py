"""What happens when the filter loads: the same setting on a tighter system, for whatever an option holds."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, replace

import numpy as np

from modest_rotor.core.estimate import Array, Estimate, exactly, propagate
from modest_rotor.core.identify.fit import FittedMotor
from modest_rotor.core.options.contract import CURVE, NEAR_FULL, curve_and_system
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.rating import Rating
from modest_rotor.core.options.solved import run_on, stacked
from modest_rotor.core.options.traits import Brings, Holds, SetBy
from modest_rotor.core.options.year import Solved
from modest_rotor.core.physics import electronic
from modest_rotor.core.physics.fan import MachineCurve, MachineType, generic_shape
from modest_rotor.core.physics.fields import HAIR
from modest_rotor.core.physics.load import Load, speed_ratio_for_flow
from modest_rotor.core.physics.roots import crossing
from modest_rotor.core.physics.supply import Supply
from modest_rotor.core.physics.system import SystemCurve

FACTORS = (1.0, 1.2, 1.4, 1.7, 2.0, 2.5)
"""Flow-dependent part of the system over that of today, at which the picture is drawn."""
LEAST, MOST, HALVINGS = 0.3, 1.8, 4
LEAST_HELD = 0.1
READ_OUTSIDE = 0.65
"""Share of a fan's pressure that is read outside its cabinet. Our judgement, no source: half to nearly all."""


CHOSEN_PLACE = 0.95
"""Where a fan that was chosen for its duty lies on the generic curve, as in ``own_wheel``."""


@dataclass(frozen=True)
class Loaded:
    """An option's first step on tighter systems, one estimate for each of them.

    :param gives_way: whether its torque, power or speed is at its limit there, so that it no longer holds its setting.
    """

    flow: tuple[Estimate, ...]
    input_power: tuple[Estimate, ...]
    gives_way: tuple[bool, ...]
    holds: Holds


def loaded(
    solved: Solved,
    found: FoundMachine,
    factors: tuple[float, ...] = (),
    static: float | None = None,
    uncertainties: bool = True,
) -> Loaded | None:
    """How flow and watts of an option's first step change as the system tightens; nothing where that is not known.

    :param factors: flow-dependent part of the system over that of the repaired machine.
    :param static: in place of factors, the pressure against which it is to run, Pa, whatever the flow.
    :param uncertainties: whether each comes with its uncertainty; a picture is drawn without.
    :param solved: the option, whose first step is meant. :param found: the repaired machine.

    Validity: up to two and a half times today's resistance, as it is drawn. Source: affinity laws and the motor's own equations; what a setting holds is the
    kind's trait.
    """
    holds = solved.option.traits.holds
    step = solved.steps[0] if solved.steps else None
    if holds is None or step is None or not (step.flow and step.speed and step.input_power and step.shaft_power):
        return None
    motor = _motor(solved, found) if holds is Holds.MOTOR else None
    if holds is Holds.MOTOR and motor is None:
        return None
    if solved.option.traits.set_by is SetBy.VOLTS and step.flow.value < NEAR_FULL * found.flow.value:
        return None
    rating = solved.option.rating(found, solved.candidate)
    count, wheel = len(factors) if static is None else 1, 1.0 if step.wheel_ratio is None else step.wheel_ratio

    def work(*columns: Array) -> Array:
        setting = _Setting(found, columns, np.array(factors), rating, motor, wheel)
        if static is not None:
            setting.run_against(static)
        setting.is_limited = solved.option.traits.limited
        flow, power = {
            Holds.MOTOR: setting.by_motor,
            Holds.SPEED: setting.at_speed,
            Holds.TORQUE: setting.at_torque,
            Holds.AIRFLOW: setting.at_flow,
            Holds.OWN_WHEEL: setting.with_own_wheel,
        }[holds]()
        over = np.broadcast_to(setting.over_limit, power.shape)
        return np.hstack([flow + 0 * power, power, over])

    inputs = (*found.curve_inputs, found.speed, step.speed, step.shaft_power, step.input_power, step.flow)
    numbers = motor.estimates if motor else (rating.scatter, rating.below)
    every = (*inputs, found.volts, *numbers)
    estimates = propagate(work, *(every if uncertainties else (exactly(one.value) for one in every)))
    told, over = estimates[: 2 * count], estimates[2 * count :]
    if not all(np.isfinite([one.value, one.standard]).all() for one in told):
        return None
    return Loaded(told[:count], told[count:], tuple(one.value > 0 for one in over), holds)


def _motor(solved: Solved, found: FoundMachine) -> FittedMotor | None:
    return found.new if solved.option.traits.brings is Brings.MOTOR else found.own


GIVEN = CURVE + 6


class _Setting:
    """One setting on many systems; every answer is ``(scenarios, factors)``."""

    def __init__(
        self,
        found: FoundMachine,
        columns: tuple[Array, ...],
        factors: Array,
        rating: Rating,
        motor: FittedMotor | None,
        wheel: float,
    ) -> None:
        curve = columns[:CURVE]
        self.base, self.speed, self.shaft, self.watts, self.flow, self.volts = columns[CURVE:GIVEN]
        self.machine, system = curve_and_system(found, *curve)
        self.system = system.tightened(factors)
        self.was, self.machine_was = system, self.machine
        self.rating, self.motor, self.numbers, self.wheel = rating, motor, columns[GIVEN:], wheel
        self.is_limited = False
        self.over_limit: Array = np.zeros((1, 1))

    def run_against(self, static_pa: float) -> None:
        """Set it against an external static, whatever the flow; what the cabinet itself takes goes on growing with flow.

        A manometer outside reads only part of what the wheel works against; the rest lies in cabinet and coil.
        """
        within = (1 / READ_OUTSIDE - 1) * self.machine.pressure
        coefficient = within / self.machine.flow**self.was.exponent
        self.machine = replace(self.machine, pressure=self.machine.pressure / READ_OUTSIDE)
        self.system = SystemCurve(static_pa + 0 * self.speed, coefficient + 0 * self.speed, self.was.exponent)

    def held_within_limits(self, wanted: Array) -> Array:
        """A speed over today's that a setting asks for, held back where torque, power or speed of the rating end."""
        if not self.is_limited:
            return wanted
        load = Load(self.machine, self.base, self.system)
        top = np.maximum(self.rating.top_share * self.rating.speed_rpm, self.speed) / self.base
        # What the step itself needs is allowed in any case: its own check says where the rating is too small.
        torque = np.maximum(self.rating.torque_scale, self.shaft / self.speed)
        power = np.maximum(electronic.POWER_LIMIT_SHARE * self.rating.power_w, self.shaft)

        def surplus(ratio: Array) -> Array:
            rpm = self.base * ratio
            return np.asarray(np.minimum(torque, power / rpm) - load.at_motor_speed(rpm).motor_power_w / rpm)

        zero = 0 * wanted
        low, high = LEAST_HELD + zero, MOST + zero
        for _ in range(HALVINGS):
            middle = (low + high) / 2
            over = surplus(middle) > 0
            low, high = np.where(over, middle, low), np.where(over, high, middle)
        most = np.minimum(np.where(surplus(MOST + zero) > 0, MOST, crossing(surplus, low, high)), top)
        asked = np.where(np.isnan(wanted), np.inf, wanted)
        self.over_limit = asked - most * (1 + HAIR)
        return np.minimum(asked, most)

    def at_speed(self) -> tuple[Array, Array]:
        """The same speed, as far as the rating goes; losses other than the shaft's taken in proportion."""
        rpm = self.base * self.held_within_limits(self.speed / self.base + self._systems)
        point = Load(self.machine, self.base, self.system).at_motor_speed(rpm)
        return np.asarray(point.flow), self.watts * point.machine_power_w / self.shaft

    def at_flow(self) -> tuple[Array, Array]:
        """The same flow, at whatever speed that takes, as far as the rating goes; beyond it the flow gives way."""
        wanted = speed_ratio_for_flow(self.machine, self.system, self.flow)
        rpm = self.base * self.held_within_limits(wanted)
        point = Load(self.machine, self.base, self.system).at_motor_speed(rpm)
        return np.asarray(point.flow), self._electronic(np.asarray(point.machine_power_w), rpm)

    def at_torque(self) -> tuple[Array, Array]:
        """The same torque, at whatever speed that gives, as far as the rating goes."""
        load = Load(self.machine, self.base, self.system)
        held = self.shaft / self.speed

        def surplus(ratio: Array) -> Array:
            rpm = self.speed * ratio
            return np.asarray(held - load.at_motor_speed(rpm).machine_power_w / rpm)

        zero = 0 * held + self._systems
        low, high = LEAST + zero, MOST + zero
        for _ in range(HALVINGS):
            middle = (low + high) / 2
            over = surplus(middle) > 0
            low, high = np.where(over, middle, low), np.where(over, high, middle)
        rpm = self.base * self.held_within_limits(self.speed / self.base * crossing(surplus, low, high))
        point = load.at_motor_speed(rpm)
        return np.asarray(point.flow), self._electronic(np.asarray(point.machine_power_w), rpm)

    @property
    def _systems(self) -> Array:
        """Zeros, one for each system."""
        return np.asarray(0 * self.system.coefficient + 0 * self.system.fixed_pressure)

    def with_own_wheel(self) -> tuple[Array, Array]:
        """The same speed of a backward-inclined wheel through the step's point; losses in proportion."""
        shape = generic_shape(MachineType.BACKWARD_INCLINED)
        pressure = self.was.pressure_at(self.flow)
        own = MachineCurve(shape, self.flow, pressure, self.shaft, CHOSEN_PLACE)
        point = Load(own, 1.0, self.system).at_motor_speed(1.0 + 0 * self.speed)
        return np.asarray(point.flow), self.watts * point.machine_power_w / self.shaft

    def by_motor(self) -> tuple[Array, Array]:
        """The induction motor's own speed on each system, carried to the point by ratio."""
        assert self.motor is not None
        motor, hertz = stacked(self.motor.family, self.numbers), self.motor.plate.frequency_hz or 0.0
        supply = Supply(self.volts, hertz)
        before, after = Load(self.machine_was, self.base, self.was), Load(self.machine, self.base, self.system)
        turns = self.wheel

        def torque_on(load: Load) -> Callable[[Array], Array]:
            return lambda rpm: np.asarray(turns * load.torque_at(turns * rpm))

        was = run_on(self.motor.family, motor, supply, torque_on(before), self.base.shape)
        shape = (self.base + self._systems).shape
        now = run_on(self.motor.family, motor, supply, torque_on(after), shape)
        rpm = self.speed * now.speed_rpm / was.speed_rpm
        flow = after.at_motor_speed(turns * np.where(np.isnan(rpm), self.speed, rpm)).flow
        return np.asarray(flow), self.watts * now.input_power_w / was.input_power_w

    def _electronic(self, power: Array, rpm: Array) -> Array:
        """Watts by the electronic motor's losses, carried to the step's own watts by ratio."""
        scatter, below = self.numbers
        base = self.rating.watts(self.shaft, self.speed, scatter, below)
        return np.asarray(self.watts * self.rating.watts(power, rpm, scatter, below) / base)
