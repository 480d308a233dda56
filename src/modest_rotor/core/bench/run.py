"""The rig in time: torques over inertia, ramps and soft start, warming, and what its meters show at every instant."""

from __future__ import annotations

import math
from dataclasses import dataclass, replace

import numpy as np

from modest_rotor.core.bench.stand import (
    LEAST_LOOP_HZ,
    AtTheLine,
    Controls,
    Stand,
    at_slip,
    at_the_line,
    behind_sensor,
    hertz_of,
    motor_volts,
    set_pressure,
    setup_of,
    solved,
)
from modest_rotor.core.estimate import Array
from modest_rotor.core.identify.perturb import Setup
from modest_rotor.core.physics.curve import curve_through
from modest_rotor.core.physics.electronic import Command, ElectronicMotor, Stopping
from modest_rotor.core.physics.fields import RAD_S_PER_RPM
from modest_rotor.core.physics.loop import Controller, Gains, Memory
from modest_rotor.core.physics.motor_point import MotorPoint
from modest_rotor.core.physics.operating_point import CRAWL_RPM, LEAST_SLIP, characteristic
from modest_rotor.core.physics.supply import RATED_RISE_K, REFERENCE_C
from modest_rotor.core.physics.three_phase import ThreePhaseMotor, backward_field
from modest_rotor.core.physics.two_axis import SWITCH_SPEED_SHARE, Auxiliary, TwoAxisMotor
from modest_rotor.core.plant import turning
from modest_rotor.core.plant.turning import Ramp

RAMP_S = 6.0
"""Time in which a drive of the Bench goes from rest to its base frequency. Common practice: 5 to 20 s."""
STILL_HZ = 0.5
WARMING_S = 480.0
"""Time constant of a small motor's winding. Our judgement, no source; 5 to 15 minutes are usual."""
COOLING_EXPONENT = 0.6
"""Power of the air over the motor by which it cools: turbulent flow along a body, textbooks give 0.5 to 0.8."""
LEAST_AIR = 0.15
"""Air that stands still cools as this share of the rated air would. Our judgement, no source."""
HOTTEST_C = 300.0
"""Where the model stops: every winding has burnt before."""
STARTING_TORQUE = 2.0
"""Torque while a start switch is closed, over that at which it opens. Our judgement, no source."""
STARTING_AMPS, STARTING_POWER_FACTOR = 6.0, 0.6
"""Amps while a start switch is closed, over those at the built load, and their power factor. Common practice: five to seven times."""
AMBIENT_C = 28.0
FINE = 240
"""Points to which a torque curve is refined."""
SETTLING_ROUNDS = 6
FELT_K = 2.0
"""Change of the winding's temperature after which its resistances are worked out anew."""


@dataclass(frozen=True)
class State(turning.State):
    """Where the rig has come, with the temperature of its winding."""

    winding_c: float = AMBIENT_C


@dataclass(frozen=True)
class Meters:
    """What the large readouts show, in SI and rpm; amps, watts and flow of all motors of the rig together."""

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
    output_hz: float
    felt_pa: float


@dataclass(frozen=True)
class TorqueCurve:
    """A motor's torque over its whole speed range on its present supply, worked out once while nothing is turned."""

    speed_rpm: Array
    torque_nm: Array

    def at(self, speed_rpm: float) -> float:
        """Torque at a speed, N·m; beyond the field it brakes. Source: linear between neighbours."""
        return float(np.interp(speed_rpm, self.speed_rpm, self.torque_nm))


@dataclass(frozen=True)
class Prepared:
    """A stand with its controls as they are turned, and what is worked out of them once.

    :param setup: with windings at ``winding_c``. :param curve: of an induction motor. :param goal_rpm: where an electronic motor
        goes. :param ambient_c: of the air that cools the motor.
    """

    stand: Stand
    controls: Controls
    setup: Setup
    winding_c: float
    curve: TorqueCurve | None
    goal_rpm: float

    @property
    def ambient_c(self) -> float:
        """Air around the motor: the stand's room, or as warm as the air that it moves."""
        return AMBIENT_C if self.stand.is_pump else AMBIENT_C + self.controls.air_c - Controls().air_c

    @property
    def hertz(self) -> float:
        """Where the drive's output goes."""
        return hertz_of(self.stand, self.controls)


def prepare(stand: Stand, controls: Controls, winding_c: float = REFERENCE_C) -> Prepared:
    """What the rig needs to run with its controls so. Errors, validity and source as :func:`setup_of`."""
    setup = setup_of(stand, controls, winding_c)
    goal = float(setup.settled().motor.speed_rpm) if stand.is_electronic else 0.0
    return Prepared(stand, controls, setup, winding_c, torque_curve(setup, controls.unbalance), goal)


def torque_curve(setup: Setup, unbalance: float = 0.0) -> TorqueCurve | None:
    """The torque curve of an induction motor; nothing for an electronic one, which is told what to do.

    :param unbalance: of the line's volts, a share.

    Source: the equations of its kind; above synchronous speed the curve is mirrored (generator braking, textbooks); below a
    start switch's speed a share of the torque at its edge, our judgement.
    """
    if isinstance(setup.motor, ElectronicMotor):
        return None
    known = characteristic(setup.motor, setup.supply)
    torques: Array = np.ravel(known.torque_nm)
    if unbalance:
        assert isinstance(setup.motor, ThreePhaseMotor)
        _, braking = backward_field(setup.motor, setup.supply, known.slips, unbalance)
        torques = torques - np.ravel(braking)
    speed, torque = np.ravel(known.speed_rpm)[::-1], torques[::-1]
    field = float(setup.motor.synchronous_rpm(setup.supply))
    if isinstance(setup.motor, TwoAxisMotor) and setup.motor.auxiliary is Auxiliary.SWITCHED_OFF:
        speed, torque = np.r_[0.0, speed], np.r_[max(float(torque[0]), 0.0) * STARTING_TORQUE, torque]
    # Finer by a smooth curve through the solved slips, so that looking a torque up stays a straight line between neighbours.
    slips = 1 - np.r_[speed, field] / field
    fine = np.unique(np.r_[speed, field, field * (1 - np.geomspace(LEAST_SLIP, max(slips), FINE))])
    torque = np.asarray(curve_through(np.r_[speed, field], np.r_[torque, 0.0])(fine), float)
    over = 2 * field - fine[-2::-1]
    return TorqueCurve(np.r_[fine, over], np.r_[torque, -torque[-2::-1]])


def advance(rig: Prepared, state: State, seconds: float, on: bool = True) -> State:
    """The rig some seconds later, its winding with it.

    :param seconds: at most two minutes are followed in one call. :param on: whether it is switched on.

    Validity: as :func:`turning.advance`; warming at the losses of the end. Source: there; warming as :func:`steady_winding_c`.
    """
    total = min(max(seconds, 0.0), turning.LONGEST_S)
    after = turning.advance(_Switched(rig, on), state, total)
    return replace(after, winding_c=_warmed(rig, after, total, on))


@dataclass(frozen=True)
class _Switched:
    """A rig, switched on or off, as the simulator asks it."""

    rig: Prepared
    runs: bool

    @property
    def inertia_kgm2(self) -> float:
        return self.rig.stand.inertia_kgm2

    @property
    def speed_ramp(self) -> Ramp | None:
        """An electronic motor follows its soft start; switched off it brakes so as well, or is left to its load."""
        motor = self.rig.stand.motor
        if not isinstance(motor, ElectronicMotor) or not (self.runs or motor.module.stopping is Stopping.BRAKES):
            return None
        return Ramp(self.rig.goal_rpm if self.runs else 0.0, float(motor.rated_speed_rpm) / motor.module.soft_start_s)

    @property
    def sensor_lag_s(self) -> float | None:
        return None if self.rig.stand.drive is None else self.rig.controls.sensor_s

    def hertz_ramp(self, state: turning.State, seconds: float) -> tuple[Ramp, Memory]:
        """By hand, or by the loop's look at its sensor; a drive that is switched off lets its motor go at once."""
        rig, top = self.rig, self.rig.stand.hertz
        memory = Memory(min(state.output_hz / top, 1.0))
        if rig.stand.drive is None or not self.runs:
            return Ramp(0.0, math.inf), memory
        rate = float(rig.stand.drive.base_frequency_hz) / RAMP_S
        if not rig.controls.loop:
            return Ramp(rig.hertz, rate), memory
        controls = rig.controls
        built = set_pressure(rig.stand, replace(controls, set_point=1.0))
        controller = Controller(Gains(controls.gain, controls.integral_s), True, LEAST_LOOP_HZ / top, 1.0)
        share, memory = controller.command(controls.set_point - state.felt_pa / built, state.memory, seconds)
        return Ramp(share * top, rate), memory

    def torque_nm(self, speed_rpm: float, output_hz: float) -> float:
        given = _given(self.rig, speed_rpm, output_hz) if self.runs else 0.0
        return given - _load_torque(self.rig, speed_rpm)

    def sensor_pa(self, speed_rpm: float) -> float:
        return sensor_pressure(self.rig, speed_rpm)

    def is_settled(self, state: turning.State) -> bool:
        return True


def sensor_pressure(rig: Prepared, speed_rpm: float) -> float:
    """Pressure where the sensor of a loop sits, Pa; none of a bare shaft. Source: of what lies behind it."""
    if speed_rpm <= CRAWL_RPM or rig.controls.bare:
        return 0.0
    load = rig.setup.load
    flow = max(float(load.at_motor_speed(speed_rpm).flow), 0.0)
    return float(behind_sensor(rig.stand, rig.controls, load).pressure_at(flow))


def _given(rig: Prepared, speed: float, hertz: float) -> float:
    """Torque of an induction motor that is switched on, N·m; on its drive's way up or down at the hertz of the moment."""
    if isinstance(rig.stand.motor, ElectronicMotor):
        return 0.0
    if rig.stand.drive is None or hertz == rig.hertz:
        return rig.curve.at(speed) if rig.curve else 0.0
    at = _on_drive(rig, speed, hertz)
    if at is None:
        return 0.0
    field = float(rig.setup.motor.synchronous_rpm(at[1].supply))  # type: ignore[union-attr]
    return math.copysign(float(at[0].torque_nm), field - speed)


def _on_drive(rig: Prepared, speed: float, hertz: float) -> tuple[MotorPoint, Setup] | None:
    """The motor at its drive's hertz of the moment; beyond its field as far as it lags otherwise."""
    if hertz < STILL_HZ:
        return None
    volts = motor_volts(rig.stand, rig.controls, hertz)
    setup = replace(rig.setup, supply=replace(rig.setup.supply, voltage=volts, frequency=hertz))
    field = float(setup.motor.synchronous_rpm(setup.supply))  # type: ignore[union-attr]
    slip = min(max(abs(1 - speed / field), LEAST_SLIP), 1.0)
    return at_slip(setup, slip), setup


def meters(rig: Prepared, state: State, on: bool = True) -> Meters:
    """What is shown at an instant; standstill with the supply on shows the inrush. Source: the motor's equations at its speed."""
    stand, controls = rig.stand, rig.controls
    turning = state.speed_rpm > CRAWL_RPM
    load = rig.setup.load.at_motor_speed(state.speed_rpm) if turning else None
    at = motor_at(rig, state) if on else None
    line = at_the_line(stand, controls, at) if at else AtTheLine(0.0, 0.0, 0.0)
    flowing = load is not None and not controls.bare
    return Meters(
        speed_rpm=state.speed_rpm,
        slip=float(at.slip) if at else 0.0,
        current_a=line.amps,
        start_current_a=float(at.auxiliary_current_a) if at else 0.0,
        input_w=line.watts,
        power_factor=line.power_factor,
        capacitor_v=float(at.capacitor_voltage_v) if at else 0.0,
        torque_nm=max(float(at.torque_nm), 0.0) if at else 0.0,
        pressure_pa=float(load.pressure) if load and flowing else 0.0,
        flow=max(float(load.flow), 0.0) if load and flowing else 0.0,
        winding_c=state.winding_c,
        output_hz=state.output_hz if stand.drive is not None else rig.hertz if on else 0.0,
        felt_pa=state.felt_pa,
    )


def motor_at(rig: Prepared, state: State) -> MotorPoint | None:
    """The motor at the speed of the moment, switched on; nothing while a drive's output still stands. Source: its equations."""
    setup, motor = rig.setup, rig.stand.motor
    if isinstance(motor, ElectronicMotor):
        # On its way it takes what its present speed asks for; at rest its electronics alone.
        crawl = max(state.speed_rpm, CRAWL_RPM)
        return replace(setup, command=Command.SPEED, value=crawl).settled().motor
    if rig.stand.drive is not None and state.output_hz != rig.hertz:
        found = _on_drive(rig, state.speed_rpm, state.output_hz)
        return found[0] if found else None
    field = float(motor.synchronous_rpm(setup.supply))
    slip = min(max(1 - state.speed_rpm / field, LEAST_SLIP), 1.0)
    if rig.stand.has_start_switch and slip > 1 - SWITCH_SPEED_SHARE:
        return _while_starting(rig, state.speed_rpm)
    return at_slip(setup, slip, rig.controls.unbalance)


def _while_starting(rig: Prepared, speed_rpm: float) -> MotorPoint:
    """A motor with its start switch closed: the start winding is in no model here, so its amps are a usual multiple of those it runs at."""
    edge = at_slip(rig.setup, 1 - SWITCH_SPEED_SHARE)
    amps = STARTING_AMPS * float(rig.stand.as_built.motor.current_a)
    watts = amps * float(rig.setup.supply.voltage) * STARTING_POWER_FACTOR
    torque = rig.curve.at(speed_rpm) if rig.curve else 0.0
    shaft = torque * speed_rpm * RAD_S_PER_RPM
    return replace(
        edge,
        speed_rpm=speed_rpm,
        slip=1 - speed_rpm / float(rig.setup.motor.synchronous_rpm(rig.setup.supply)),  # type: ignore[union-attr]
        torque_nm=torque,
        shaft_power_w=shaft,
        input_power_w=watts,
        current_a=amps,
        power_factor=STARTING_POWER_FACTOR,
        losses_w={"starting": watts - shaft},
    )


def _load_torque(rig: Prepared, speed_rpm: float) -> float:
    return float(rig.setup.load.torque_at(speed_rpm)) if speed_rpm > CRAWL_RPM else 0.0


def steady_winding_c(rig: Prepared, at: MotorPoint, flow: float) -> float:
    """Temperature that the winding goes to, °C: rise with losses, less with air over the motor.

    :param flow: of the wheel's air, m³/s, which cools a motor that has no fan of its own.

    Source: rise in proportion to losses (our judgement for small motors); cooling by turbulent flow, textbooks.
    """
    rated = rig.stand.as_built
    share = float(at.total_loss_w) / float(rated.motor.total_loss_w)
    cooled = float(at.speed_rpm / rated.motor.speed_rpm) if rig.stand.own_fan else flow / float(rated.load.flow)
    air = max(cooled, LEAST_AIR)
    return min(rig.ambient_c + RATED_RISE_K * share * math.pow(air, -COOLING_EXPONENT), HOTTEST_C)


def settled(stand: Stand, controls: Controls) -> tuple[Prepared, State]:
    """The rig when it has run for good: at its speed, its winding as warm as it gets, resistances with it.

    :raises OutsideValidity: as :func:`setup_of`. Source: as :func:`solved` and :func:`steady_winding_c`, settled in turns.
    """
    warm = REFERENCE_C
    for _ in range(SETTLING_ROUNDS):
        rig = prepare(stand, controls, warm)
        point = solved(stand, controls, warm)
        goes_to = steady_winding_c(rig, point.motor, 0.0 if controls.bare else max(float(point.load.flow), 0.0))
        if abs(goes_to - warm) < FELT_K / 2:
            break
        warm = goes_to
    speed = float(point.motor.speed_rpm)
    found = State(speed, rig.hertz if stand.drive else 0.0, winding_c=goes_to)
    if stand.drive is None:
        return rig, found
    felt = sensor_pressure(rig, speed)
    return rig, replace(found, tube_pa=felt, felt_pa=felt, memory=Memory(rig.hertz / stand.hertz))


def _warmed(rig: Prepared, state: State, seconds: float, on: bool) -> float:
    at = motor_at(rig, state) if on else None
    goal = rig.ambient_c
    if at is not None:
        turning = state.speed_rpm > CRAWL_RPM and not rig.controls.bare
        flow = max(float(rig.setup.load.at_motor_speed(state.speed_rpm).flow), 0.0) if turning else 0.0
        goal = steady_winding_c(rig, at, flow)
    return goal + (state.winding_c - goal) * math.exp(-seconds / WARMING_S)
