"""The rig in time: torques over inertia, soft start, warming, and what its meters show at every instant."""

from __future__ import annotations

import math
from dataclasses import dataclass, replace

import numpy as np

from modest_rotor.core.bench.stand import AtTheLine, Controls, Stand, at_the_line, setup_of, solved
from modest_rotor.core.estimate import Array
from modest_rotor.core.identify.perturb import Setup
from modest_rotor.core.physics.electronic import Command, ElectronicMotor, Stopping
from modest_rotor.core.physics.fields import RAD_S_PER_RPM
from modest_rotor.core.physics.motor_point import MotorPoint
from modest_rotor.core.physics.operating_point import CRAWL_RPM, LEAST_SLIP, characteristic
from modest_rotor.core.physics.supply import RATED_RISE_K
from modest_rotor.core.physics.two_axis import SWITCH_SPEED_SHARE

STEP_S = 0.004
"""Step of the integration; the stiffest of the stands settles in some fifty milliseconds."""
MOST_S = 60.0
WARMING_S = 480.0
"""Time constant of a small motor's winding. Our judgement, no source; 5 to 15 minutes are usual."""
COOLING_EXPONENT = 0.6
"""Power of the air over the motor by which it cools: turbulent flow along a body, textbooks give 0.5 to 0.8."""
LEAST_AIR = 0.15
"""Air that stands still cools as this share of the rated air would. Our judgement, no source."""
STARTING_TORQUE = 2.0
"""Torque while a start switch is closed, over rated. Our judgement, no source."""
AMBIENT_C = 28.0


@dataclass(frozen=True)
class State:
    """Where the rig is: speed of the shaft, temperature of the winding, and seconds since it was switched on."""

    speed_rpm: float = 0.0
    winding_c: float = AMBIENT_C
    on_s: float = 0.0


@dataclass(frozen=True)
class Meters:
    """What the large readouts show, in SI and rpm."""

    speed_rpm: float
    slip: float
    current_a: float
    start_current_a: float
    input_w: float
    power_factor: float
    capacitor_v: float
    torque_nm: float
    pressure_pa: float
    flow: float
    winding_c: float


@dataclass(frozen=True)
class TorqueCurve:
    """A motor's torque over its whole speed range on its present supply, worked out once while nothing is turned."""

    speed_rpm: Array
    torque_nm: Array

    def at(self, speed_rpm: float) -> float:
        """Torque at a speed, N·m; beyond the field it brakes. Source: linear between solved slips."""
        return float(np.interp(speed_rpm, self.speed_rpm, self.torque_nm))


def torque_curve(setup: Setup) -> TorqueCurve | None:
    """The torque curve of an induction motor; nothing for an electronic one, which is told what to do.

    Source: the equations of its kind; above synchronous speed the curve is mirrored (generator braking, textbooks); below a
    start switch's speed a share of the torque at its edge, our judgement.
    """
    if isinstance(setup.motor, ElectronicMotor):
        return None
    known = characteristic(setup.motor, setup.supply)
    speed, torque = np.ravel(known.speed_rpm)[::-1], np.ravel(known.torque_nm)[::-1]
    field = float(setup.motor.synchronous_rpm(setup.supply))
    if speed[0] > SWITCH_SPEED_SHARE * field * (1 - LEAST_SLIP) - 1:
        speed, torque = np.r_[0.0, speed], np.r_[max(float(torque.max()), 0.0) * STARTING_TORQUE / 2, torque]
    over = 2 * field - speed[::-1]
    return TorqueCurve(np.r_[speed, field, over], np.r_[torque, 0.0, -torque[::-1]])


def advance(
    stand: Stand, controls: Controls, state: State, seconds: float, on: bool = True, curve: TorqueCurve | None = None
) -> State:
    """The rig some seconds later.

    :param seconds: at most a minute is followed in one call. :param on: whether it is switched on.
    :param curve: of :func:`torque_curve`, where it was worked out already for these controls.

    J dω/dt = T_motor − T_load; an electronic motor follows its soft start and then holds what it is told. Validity:
    quasi-steady torque, no electrical transient. Source: Newton; textbook dynamics of drives.
    """
    setup = setup_of(stand, controls)
    known = curve or (torque_curve(setup) if on else None)
    goal = float(setup.settled().motor.speed_rpm) if stand.is_electronic and on else 0.0
    left, speed = min(max(seconds, 0.0), MOST_S), state.speed_rpm
    while left > 0:
        step = min(STEP_S, left)
        if stand.is_electronic:
            speed = _electronic(stand, setup, speed, goal, step, on)
        else:
            given = known.at(speed) if known and on else 0.0
            speed = max(speed + (given - _load_torque(setup, speed)) / stand.inertia_kgm2 * step / RAD_S_PER_RPM, 0.0)
        left -= step
    winding = _warmed(stand, setup, replace(state, speed_rpm=speed), seconds, on)
    return State(speed, winding, state.on_s + seconds if on else 0.0)


def meters(stand: Stand, controls: Controls, state: State, on: bool = True) -> Meters:
    """What is shown at an instant; standstill with the supply on shows the inrush. Source: the motor's equations at its speed."""
    setup = setup_of(stand, controls)
    turning = state.speed_rpm > CRAWL_RPM
    load = setup.load.at_motor_speed(state.speed_rpm) if turning else None
    at = _motor(setup, state.speed_rpm) if on else None
    line = at_the_line(stand, at) if at else AtTheLine(0.0, 0.0, 0.0)
    flowing = load is not None and not controls.bare
    return Meters(
        speed_rpm=state.speed_rpm,
        slip=float(at.slip) if at else 0.0,
        current_a=line.amps,
        start_current_a=float(at.auxiliary_current_a) if at else 0.0,
        input_w=line.watts,
        power_factor=line.power_factor,
        capacitor_v=float(at.capacitor_voltage_v) if at else 0.0,
        torque_nm=float(at.torque_nm) if at else 0.0,
        pressure_pa=float(load.pressure) if load and flowing else 0.0,
        flow=float(load.flow) if load and flowing else 0.0,
        winding_c=state.winding_c,
    )


def _motor(setup: Setup, speed_rpm: float) -> MotorPoint:
    motor = setup.motor
    if isinstance(motor, ElectronicMotor):
        # On its way it takes what its present speed asks for; at rest its electronics alone.
        crawl = max(speed_rpm, CRAWL_RPM)
        return replace(setup, command=Command.SPEED, value=crawl).settled().motor
    field = float(motor.synchronous_rpm(setup.supply))
    slip = min(max(1 - speed_rpm / field, LEAST_SLIP), 1.0)
    return motor.at_slip(setup.supply, slip)


def _electronic(stand: Stand, setup: Setup, speed: float, goal: float, step: float, on: bool) -> float:
    motor = stand.motor
    assert isinstance(motor, ElectronicMotor)
    rate = float(motor.rated_speed_rpm) / motor.module.soft_start_s
    if on or motor.module.stopping is Stopping.BRAKES:
        change = min(abs(goal - speed), rate * step)
        return speed + math.copysign(change, goal - speed)
    return max(speed - _load_torque(setup, speed) / stand.inertia_kgm2 * step / RAD_S_PER_RPM, 0.0)


def _load_torque(setup: Setup, speed_rpm: float) -> float:
    return float(setup.load.at_motor_speed(speed_rpm).torque_nm) if speed_rpm > CRAWL_RPM else 0.0


def steady_winding_c(stand: Stand, at: MotorPoint, flow: float) -> float:
    """Temperature that the winding goes to, °C: rise with losses, less with air over the motor.

    :param flow: of the wheel's air, which cools a motor that has no fan of its own. Source: rise in proportion to losses (our judgement for small motors); cooling by
        turbulent flow, textbooks.
    """
    rated = solved(stand, Controls())
    share = float(at.total_loss_w) / float(rated.motor.total_loss_w)
    cooled = float(at.speed_rpm / rated.motor.speed_rpm) if stand.own_fan else flow / float(rated.load.flow)
    air = max(cooled, LEAST_AIR)
    return AMBIENT_C + RATED_RISE_K * share * math.pow(air, -COOLING_EXPONENT)


def _warmed(stand: Stand, setup: Setup, state: State, seconds: float, on: bool) -> float:
    if not on:
        goal = AMBIENT_C
    else:
        turning = state.speed_rpm > CRAWL_RPM
        flow = float(setup.load.at_motor_speed(state.speed_rpm).flow) if turning else 0.0
        goal = steady_winding_c(stand, _motor(setup, state.speed_rpm), flow)
    return goal + (state.winding_c - goal) * math.exp(-seconds / WARMING_S)
