"""One thing changed on a solved machine: which way every reading moves, how far, and how sure that is."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, replace
from enum import IntEnum

import numpy as np

from modest_rotor.core.coded import Coded
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import Array, Estimate, propagate
from modest_rotor.core.identify.candidate import Candidates
from modest_rotor.core.physics.commanded import settle_commanded
from modest_rotor.core.physics.electronic import Command, ElectronicMotor
from modest_rotor.core.physics.fields import Real
from modest_rotor.core.physics.load import Load
from modest_rotor.core.physics.motor_point import MotorPoint
from modest_rotor.core.physics.operating_point import Condition, InductionMotor, OperatingPoint, settle
from modest_rotor.core.physics.supply import Supply
from modest_rotor.core.physics.three_phase import ThreePhaseMotor, backward_field
from modest_rotor.core.physics.two_axis import Auxiliary, TwoAxisMotor
from modest_rotor.core.say import say
from modest_rotor.core.tables import find_row


class Change(Coded):
    """What may have changed on a machine that ran well."""

    TIGHTER = "tighter"
    MORE_OPEN = "more-open"
    FILTER_OUT = "filter-out"
    CAPACITOR_WEAK = "capacitor-weak"
    CAPACITOR_DEAD = "capacitor-dead"
    VOLTS_LOW = "volts-low"
    DRAG = "drag"
    FOULED = "fouled"
    OTHER_TAP = "other-tap"
    BELT_SLIPS = "belt-slips"
    THIN_AIR = "thin-air"
    FILTER_LOADED = "filter-loaded"
    UNBALANCED = "unbalanced"
    OFF_SHAFT = "off-shaft"
    BACKWARDS = "backwards"
    RUNS_DRY = "runs-dry"
    AIR_BOUND = "air-bound"
    CLOSED = "closed"
    HERTZ = "hertz"


class Measurand(Coded):
    """What a meter shows."""

    SPEED = "speed"
    AMPS = "amps"
    WATTS = "watts"
    POWER_FACTOR = "power-factor"
    FLOW = "flow"
    PRESSURE = "pressure"
    CAPACITOR_VOLTS = "capacitor-volts"
    VOLTS = "volts"
    MACHINE_SPEED = "machine-speed"


class Direction(IntEnum):
    """Which way a reading moves; ``EITHER`` where the motors that fit the plate do not agree."""

    DOWN = -1
    STILL = 0
    UP = 1
    EITHER = 2


READABLE = {Measurand.SPEED: 0.001}
READABLE_ELSE = 0.01
"""Relative change below which the same meter, read twice, shows none. Our judgement, no source."""
DRAGS_AT = 1e-6
FILTER_SHARE = 0.3
"""Share of the flow-dependent resistance that a clean filter makes. Our judgement, no source."""
BACKWARD_POWER, AIR_BOUND_POWER = 0.5, 0.75
"""How a wheel's power falls with its pressure when it turns backwards, or a pump's when it is air-bound: exponents. Our
judgement, no source."""


@dataclass(frozen=True)
class Setup:
    """A motor on its supply and load, as found.

    :param motor: any kind; arrays in it broadcast with those of supply and load.
    :param command: what an electronic motor holds, and ``value`` how much of it: share of rated torque, flow or rpm.
    """

    motor: InductionMotor | ElectronicMotor
    supply: Supply
    load: Load
    command: Command = Command.SPEED
    value: Real = 0.0

    def settled(self) -> OperatingPoint:
        """Where it runs."""
        if isinstance(self.motor, ElectronicMotor):
            return settle_commanded(self.motor, self.command, self.value, self.load, self.supply.voltage)
        return settle(self.motor, self.supply, self.load)


@dataclass(frozen=True)
class Shift:
    """How one reading moves.

    :param ratio: after over before, less one.
    :param direction: which way, where that is sure and can be read.
    """

    ratio: Estimate
    direction: Direction


def perturbed(setup: Setup, change: Change, size: Real | None = None) -> Setup:
    """The same machine with one thing changed.

    :param setup: as found.
    :param change: what changes.
    :param size: how much, as table perturbations means it; its usual size where ``None``.
    :raises OutsideValidity: the machine has no such part: no capacitor, no taps, no volts that tell on it.

    Validity: the change alone; steady running, windings as warm as before. Source: the equations of motor and load; usual
    sizes our judgement, no source.
    """
    much = usual_size(change) if size is None else size
    if change is Change.UNBALANCED:
        return _unbalanced(setup, much)
    if change in _ON_LOAD:
        return replace(setup, load=_ON_LOAD[change](setup.load, much))
    if change is Change.DRAG:
        torque = setup.settled().load.torque_nm
        return replace(setup, load=replace(setup.load, drag_nm=setup.load.drag_nm + much * torque))
    return _with_supply_changed(setup, change, much)


def usual_size(change: Change) -> float:
    """How large a change is taken where nothing else is said. Source: table perturbations."""
    return float(find_row("perturbations", change=change.value)["size"])


def measurands(point: OperatingPoint) -> dict[Measurand, Real]:
    """What the meters show at an operating point: rpm, A, W, −, m³/s, Pa, V, rpm."""
    motor, load = point.motor, point.load
    return {
        Measurand.SPEED: motor.speed_rpm,
        Measurand.AMPS: motor.current_a,
        Measurand.WATTS: motor.input_power_w,
        Measurand.POWER_FACTOR: motor.power_factor,
        Measurand.FLOW: load.flow,
        Measurand.PRESSURE: load.pressure,
        Measurand.CAPACITOR_VOLTS: motor.capacitor_voltage_v,
        Measurand.MACHINE_SPEED: load.machine_rpm,
    }


def ratios(setup: Setup, change: Change, size: Real | None = None) -> dict[Measurand, Real]:
    """Each reading after the change over before, less one; a reading that shows nothing before is left out.

    Parameters, validity and source as :func:`perturbed`.
    """
    much = usual_size(change) if size is None else size
    changed = perturbed(setup, change, much)
    point = changed.settled()
    before, after = measurands(setup.settled()), measurands(point)
    besides = _besides(setup, change, much, point)
    found = {
        measurand: after[measurand] / before[measurand] * besides.get(measurand, 1.0) - 1
        for measurand in before
        if np.all(np.asarray(before[measurand]) > DRAGS_AT)
    }
    volts = changed.supply.voltage / setup.supply.voltage - 1 + 0 * after[Measurand.SPEED]
    return found | {Measurand.VOLTS: volts}


def condition_after(setup: Setup, change: Change, size: float | None = None) -> Condition:
    """What is to be said of the machine after a change; of the first one where ``setup`` holds many.

    Parameters, validity and source as :func:`perturbed`; a main winding alone makes no torque at rest (textbooks).
    """
    after = perturbed(setup, change, size)
    condition = Condition(int(np.ravel(after.settled().condition)[0]))
    lost = isinstance(after.motor, TwoAxisMotor) and change in (Change.CAPACITOR_DEAD, Change.CAPACITOR_WEAK)
    alone = lost and after.motor.auxiliary is Auxiliary.SWITCHED_OFF  # type: ignore[union-attr]
    return Condition.WILL_NOT_START if alone and condition < Condition.WILL_NOT_START else condition


def shifts(
    family: Candidates,
    numbers: tuple[Estimate, ...],
    build: Callable[[InductionMotor], Setup],
    change: Change,
    size: float | None = None,
) -> tuple[dict[Measurand, Shift], Condition]:
    """Every reading's move with its uncertainty from the cloud of motors, and what is to be said of the machine afterwards.

    :param family: the motors that the plate allows.
    :param numbers: a fitted motor's numbers with their named errors.
    :param build: puts motors, arrays of shape ``(scenarios,)``, on their supply and load.

    A direction is told only where the whole 95 % interval lies on one side of nothing; a reading that would move less than its
    meter can show stands still. Validity and source as :func:`perturbed`.
    """
    seen: list[Measurand] = []
    conditions: list[Condition] = []

    def work(*columns: Array) -> Array:
        motors = family.motor(np.stack([column[:, 0] for column in columns], axis=-1)[:, : family.count])
        setup = build(motors)
        conditions.append(condition_after(setup, change, size))
        moved = ratios(setup, change, size)
        seen.extend(moved)
        return np.stack([np.broadcast_to(moved[measurand], columns[0].shape[:1]) for measurand in moved], axis=-1)

    found = propagate(work, *numbers)
    told = {measurand: Shift(ratio, _direction(measurand, ratio)) for measurand, ratio in zip(seen, found, strict=True)}
    return told, conditions[0]


def _direction(measurand: Measurand, ratio: Estimate) -> Direction:
    least, size = READABLE.get(measurand, READABLE_ELSE), abs(ratio.value)
    if size >= least and size > ratio.uncertainty:
        return Direction.UP if ratio.value > 0 else Direction.DOWN
    return Direction.STILL if size + ratio.uncertainty < 2 * least else Direction.EITHER


def _unbalanced(setup: Setup, much: Real) -> Setup:
    """The same machine dragged by the backward field of unbalanced volts. Source: as :func:`backward_field`."""
    if not isinstance(setup.motor, ThreePhaseMotor):
        raise OutsideValidity(say("perturb-unbalanced"))
    _, braking = _backward(setup, setup.settled(), much)
    return replace(setup, load=replace(setup.load, drag_nm=setup.load.drag_nm + braking))


def _backward(setup: Setup, point: OperatingPoint, much: Real) -> tuple[MotorPoint, Real]:
    assert isinstance(setup.motor, ThreePhaseMotor)
    return backward_field(setup.motor, setup.supply, point.motor.slip, much)


def _besides(setup: Setup, change: Change, much: Real, after: OperatingPoint) -> dict[Measurand, Real]:
    """What a reading shows beyond the solved point: where its tap sits, which line the clamp is on."""
    if change is Change.FILTER_LOADED:  # the filter lies between the static taps: they do not see its part
        clean = FILTER_SHARE
        loaded = (clean + much - 1) / much
        return {Measurand.PRESSURE: (1 - loaded) / (1 - clean)}
    if change is Change.UNBALANCED:  # the worst line carries forward and backward amps together
        return {Measurand.AMPS: 1 + _backward(setup, after, much)[0].current_a / after.motor.current_a}
    return {}


def _with_supply_changed(setup: Setup, change: Change, much: Real) -> Setup:
    motor, supply = setup.motor, setup.supply
    if change is Change.HERTZ and not isinstance(motor, ElectronicMotor):
        return replace(setup, supply=replace(supply, frequency=supply.frequency * much))
    if isinstance(motor, ElectronicMotor):
        if change is Change.VOLTS_LOW:
            return replace(setup, supply=replace(supply, voltage=supply.voltage * much))
        raise OutsideValidity(say("perturb-with-supply-changed-electronic-motor", change=change))
    if change is Change.VOLTS_LOW:
        return replace(setup, supply=replace(supply, voltage=supply.voltage * much))
    if not isinstance(motor, TwoAxisMotor) or motor.auxiliary is not Auxiliary.CAPACITOR:
        raise OutsideValidity(say("perturb-with-supply-changed-needs-motor", change=change))
    if change is Change.OTHER_TAP:
        return replace(setup, supply=replace(supply, tap=much, tap_in_line=supply.tap_in_line))
    if isinstance(much, (int, float)) and much <= 0:  # an open capacitor leaves the auxiliary winding without current
        return replace(setup, motor=replace(motor, auxiliary=Auxiliary.SWITCHED_OFF))
    return replace(setup, supply=replace(supply, capacitor_health=supply.capacitor_health * much))


def _scaled(pressure: float, power: float) -> Callable[[Load, Real], Load]:
    """The machine with its pressure times ``size ** pressure`` and its power times ``size ** power``."""

    def scale(load: Load, much: Real) -> Load:
        machine = load.machine
        return replace(
            load,
            machine=replace(machine, pressure=machine.pressure * much**pressure, power=machine.power * much**power),
        )

    return scale


def _fouled(load: Load, much: Real) -> Load:
    machine = load.machine
    return replace(load, machine=replace(machine, pressure=machine.pressure * much, power=machine.power * much))


def _slipping(load: Load, much: Real) -> Load:
    belt = load.belt
    return replace(load, belt=replace(belt, slip=1 - (1 - belt.slip) * (1 - much)))


def _in_thin_air(load: Load, much: Real) -> Load:
    system = replace(load.system, coefficient=load.system.coefficient * much)
    return replace(_fouled(load, much), system=system)


_ON_LOAD: dict[Change, Callable[[Load, Real], Load]] = {
    Change.TIGHTER: lambda load, much: replace(load, system=load.system.tightened(much)),
    Change.MORE_OPEN: lambda load, much: replace(load, system=load.system.tightened(much)),
    Change.FILTER_OUT: lambda load, much: replace(load, system=load.system.tightened(1 - much)),
    Change.FOULED: _fouled,
    Change.BELT_SLIPS: _slipping,
    Change.THIN_AIR: _in_thin_air,
    Change.FILTER_LOADED: lambda load, much: replace(load, system=load.system.tightened(much)),
    Change.CLOSED: lambda load, much: replace(load, system=load.system.tightened(much)),
    Change.OFF_SHAFT: _scaled(1.0, 1.0),
    Change.BACKWARDS: _scaled(1.0, BACKWARD_POWER),
    Change.RUNS_DRY: _scaled(1.0, 1.0),
    Change.AIR_BOUND: _scaled(1.0, AIR_BOUND_POWER),
}
