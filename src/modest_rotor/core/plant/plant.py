"""A machine that runs in time: a motor with inertia on its load, told what to do by a drive or a signal."""

from __future__ import annotations

import math
from dataclasses import dataclass, replace
from functools import cached_property

from modest_rotor.core.physics.commanded import settle_commanded
from modest_rotor.core.physics.drive import Drive, drive_input
from modest_rotor.core.physics.electronic import Command, ElectronicMotor
from modest_rotor.core.physics.load import Load
from modest_rotor.core.physics.loop import Controller, Gains, Memory
from modest_rotor.core.physics.motor_point import MotorPoint
from modest_rotor.core.physics.operating_point import LEAST_SLIP
from modest_rotor.core.physics.supply import Supply
from modest_rotor.core.physics.three_phase import ThreePhaseMotor
from modest_rotor.core.plant import turning
from modest_rotor.core.plant.turning import Ramp, State
from modest_rotor.core.setup.command import share_of_signal
from modest_rotor.core.stations.traits import DriveTraits, SignalTraits

DRAG_SHARE = 0.01
"""Drag of bearings that lets a coasting wheel stand still at last, as a share of its torque at its known speed. Our judgement, no source."""
CRAWL_RPM = 3.0
STILL_HZ = 0.05
AIR_HEAT = 1210.0
"""Heat that a cubic metre of room air takes to warm by one kelvin, J."""
SOUND_PER_DECADE = 50.0
"""Rise of a fan's sound level for ten times the speed, dB. Common practice: the fan laws of sound."""
AT_REST_SHARE = 0.006
"""What a drive's electronics take while its motor stands, over its rated power. Our judgement, no source."""
QUIET_DB = 20.0
LINK_FACTOR = math.sqrt(2)
ANY_DRIVE, ANY_SIGNAL = DriveTraits(), SignalTraits()


@dataclass(frozen=True)
class Resonance:
    """Something that rings at one speed: its frequency of supply in Hz, how wide it is, and how much louder it makes it, dB."""

    at_hz: float
    width_hz: float
    louder_db: float


@dataclass(frozen=True)
class Plant:
    """A machine as it stands.

    :param motor: three-phase on a drive, or electronic. :param load: what it turns.
    :param inertia_kgm2: of rotor and wheel. :param volts: of the supply, line to line.
    :param drive: how a drive is rated; none for an electronic motor.
    :param supply_share: share of the static pressure that stands behind the fan. :param sensor_lag_s: of each of the two lags of
        the duct sensor that a drive's loop reads: its tube, and its damping.
    :param sound_db: at ``sound_hz``, or at rated speed of an electronic motor.
    """

    motor: ThreePhaseMotor | ElectronicMotor
    load: Load
    inertia_kgm2: float
    volts: float
    poles: int = 4
    drive: Drive | None = None
    drive_traits: DriveTraits = ANY_DRIVE
    signal: SignalTraits = ANY_SIGNAL
    supply_share: float = 0.45
    sensor_lag_s: float = 0.8
    entering_c: float = 21.0
    sound_db: float = 58.0
    sound_hz: float = 50.0
    resonances: tuple[Resonance, ...] = ()


@dataclass(frozen=True)
class LoopSettings:
    """A drive's own loop: a static behind the fan that it holds, Pa; gain, s, and the sensor's range, Pa."""

    set_point_pa: float
    gain: float
    integral_s: float
    range_pa: float = 500.0


@dataclass(frozen=True)
class Settings:
    """What the machine is set to: by registers or by the signal wire."""

    run: bool = False
    frequency_hz: float = 0.0
    low_hz: float = 0.0
    high_hz: float = 50.0
    skips: tuple[tuple[float, float], ...] = ()
    ramp_up_s: float = 20.0
    ramp_down_s: float = 20.0
    base_hz: float = 50.0
    base_v: float = 400.0
    trim: float = 0.0
    signal_v: float = 0.0
    loop: LoopSettings | None = None


@dataclass(frozen=True)
class Shown:
    """What stands to be measured, in SI and rpm."""

    speed_rpm: float
    output_hz: float
    output_v: float
    output_a: float
    line_a: float
    input_w: float
    power_factor: float
    link_v: float
    flow_m3s: float
    pressure_pa: float
    supply_static_pa: float
    return_static_pa: float
    entering_c: float
    leaving_c: float
    sound_db: float
    limited: bool
    felt_pa: float = 0.0


def target_hz(traits: DriveTraits, settings: Settings, from_hz: float, running_s: float) -> float:
    """The frequency that a drive goes to: within limits, out of skipped bands, above its own start-up run while that lasts.

    :param from_hz: where it stands now: a band is left on the side that it is entered from.

    Source: how drives handle limits and skipped bands, common practice.
    """
    if not settings.run:
        return 0.0
    low, high = max(settings.low_hz, traits.floor_hz), min(settings.high_hz, traits.top_hz)
    wanted = min(max(settings.frequency_hz, low), high)
    if running_s < traits.start_up_s:
        wanted = max(wanted, min(traits.start_up_hz, high))
    for first, last in settings.skips:
        if first < wanted < last:
            wanted = first if from_hz <= first else last
    return min(max(wanted, low), high)


def output_voltage_v(settings: Settings, hertz: float, line_v: float) -> float:
    """Volts per hertz up to base frequency, with the trim, and never above the line's, V.

    :param hertz: at the output. :param line_v: volts of the line. Source: volts per hertz, textbook dynamics of drives.
    """
    share = min(hertz / settings.base_hz, 1.0) if settings.base_hz > 0 else 0.0
    return min(settings.base_v * share * (1 + settings.trim), line_v)


def advance(plant: Plant, settings: Settings, state: State, seconds: float) -> State:
    """The state after some seconds. :param seconds: at most two minutes are followed. Source: :mod:`turning`."""
    return turning.advance(_AsSet(plant, settings), state, seconds)


@dataclass(frozen=True)
class _AsSet:
    """A plant and its settings, as the simulator asks them."""

    plant: Plant
    settings: Settings

    @property
    def inertia_kgm2(self) -> float:
        return self.plant.inertia_kgm2

    @property
    def runs(self) -> bool:
        return self.settings.run and (self.speed_ramp is None or self.speed_ramp.goal > 0)

    @cached_property
    def speed_ramp(self) -> Ramp | None:
        motor = self.plant.motor
        if not isinstance(motor, ElectronicMotor):
            return None
        return Ramp(
            _electronic_goal(self.plant, self.settings), float(motor.rated_speed_rpm) / motor.module.soft_start_s
        )

    @property
    def sensor_lag_s(self) -> float | None:
        return None if self.speed_ramp is not None else self.plant.sensor_lag_s

    def hertz_ramp(self, state: State, seconds: float) -> tuple[Ramp, Memory]:
        """Where the drive goes by its own loop, or as set by hand, from which the loop would go on."""
        if self.speed_ramp is not None:
            return Ramp(0.0, 0.0), state.memory
        settings, memory = _looped(self.settings, state, seconds)
        goal = target_hz(self.plant.drive_traits, settings, state.output_hz, state.running_s)
        return Ramp(
            goal, settings.base_hz / (settings.ramp_up_s if goal > state.output_hz else settings.ramp_down_s)
        ), memory

    def torque_nm(self, speed_rpm: float, output_hz: float) -> float:
        plant = self.plant
        drag = 0.0 if self.settings.run else DRAG_SHARE * _load_torque(plant, plant.load.speed_rpm)
        return _motor_torque(plant, self.settings, output_hz, speed_rpm) - drag - _load_torque(plant, speed_rpm)

    def sensor_pa(self, speed_rpm: float) -> float:
        if speed_rpm <= CRAWL_RPM:
            return 0.0
        return self.plant.supply_share * float(self.plant.load.at_motor_speed(speed_rpm).pressure)

    def is_settled(self, state: State) -> bool:
        return not self.settings.run or state.running_s > self.plant.drive_traits.start_up_s


def _looped(settings: Settings, state: State, step: float) -> tuple[Settings, Memory]:
    """The settings as its own loop makes them; those by hand where it is off, from which the loop then goes on."""
    top = max(settings.high_hz, STILL_HZ)
    if settings.loop is None or not settings.run:
        return settings, Memory(min(state.output_hz / top, 1.0))
    loop = settings.loop
    controller = Controller(Gains(loop.gain, loop.integral_s), True, min(settings.low_hz / top, 1.0), 1.0)
    share, memory = controller.command((loop.set_point_pa - state.felt_pa) / loop.range_pa, state.memory, step)
    return replace(settings, frequency_hz=share * top), memory


def _electronic_goal(plant: Plant, settings: Settings) -> float:
    assert isinstance(plant.motor, ElectronicMotor)
    share = share_of_signal(plant.signal, settings.signal_v)
    if not settings.run or share <= 0:
        return 0.0
    wanted = share * plant.motor.rated_speed_rpm
    return float(settle_commanded(plant.motor, Command.SPEED, wanted, plant.load, plant.volts).motor.speed_rpm)


def _load_torque(plant: Plant, speed_rpm: float) -> float:
    if speed_rpm < CRAWL_RPM:
        return 0.0
    return float(plant.load.torque_at(speed_rpm))


def _motor_point(plant: Plant, settings: Settings, hertz: float, speed_rpm: float) -> MotorPoint | None:
    """The motor at the present speed; nothing while its field stands or the shaft overruns it."""
    assert isinstance(plant.motor, ThreePhaseMotor)
    volts = output_voltage_v(settings, hertz, plant.volts)
    if hertz < STILL_HZ or volts <= 0:
        return None
    slip = 1 - speed_rpm * plant.poles / (120 * hertz)
    return plant.motor.at_slip(Supply(volts, hertz), slip) if slip > LEAST_SLIP else None


def _motor_torque(plant: Plant, settings: Settings, hertz: float, speed_rpm: float) -> float:
    point = _motor_point(plant, settings, hertz, speed_rpm)
    return float(point.torque_nm) if point else 0.0


def shown(plant: Plant, settings: Settings, state: State) -> Shown:
    """Everything that stands to be measured on a machine in a state."""
    turning = state.speed_rpm > CRAWL_RPM
    point = plant.load.at_motor_speed(state.speed_rpm) if turning else None
    flow, pressure = (float(point.flow), float(point.pressure)) if point else (0.0, 0.0)
    electric = _electric(plant, settings, state)
    watts = electric["input_w"]
    leaving = plant.entering_c + (watts / (AIR_HEAT * flow) if flow > 1e-3 else 0.0)
    return Shown(
        speed_rpm=state.speed_rpm,
        output_hz=state.output_hz,
        flow_m3s=flow,
        pressure_pa=pressure,
        supply_static_pa=plant.supply_share * pressure,
        felt_pa=state.felt_pa,
        return_static_pa=-(1 - plant.supply_share) * pressure,
        entering_c=plant.entering_c,
        leaving_c=leaving,
        sound_db=_sound(plant, state),
        **electric,  # type: ignore[arg-type]
    )


def _electric(plant: Plant, settings: Settings, state: State) -> dict[str, float | bool]:
    if isinstance(plant.motor, ElectronicMotor):
        return _electronic_electric(plant, settings, state)
    assert plant.drive is not None
    standby = float(drive_input_at_rest(plant.drive))
    link = LINK_FACTOR * plant.volts
    point = _motor_point(plant, settings, state.output_hz, state.speed_rpm)
    if point is None:
        return {"output_v": 0.0, "output_a": 0.0, "line_a": 0.0, "input_w": standby, "power_factor": 0.0, "link_v": link, "limited": False}  # fmt: skip
    taken = drive_input(plant.drive, point, plant.volts)
    volts = output_voltage_v(settings, state.output_hz, plant.volts)
    return {
        "output_v": volts,
        "output_a": float(point.current_a),
        "line_a": float(taken.current_a),
        "input_w": float(taken.input_power_w),
        "power_factor": float(taken.power_factor),
        "link_v": link,
        "limited": False,
    }


def drive_input_at_rest(drive: Drive) -> float:
    """What a drive takes while its motor stands, W: its electronics alone. Our judgement, as ``AT_REST_SHARE``."""
    return AT_REST_SHARE * float(drive.rated_power_w)


def _electronic_electric(plant: Plant, settings: Settings, state: State) -> dict[str, float | bool]:
    motor = plant.motor
    assert isinstance(motor, ElectronicMotor)
    if state.speed_rpm <= CRAWL_RPM:
        watts, limited = float(motor.standby_w), False
    else:
        at = settle_commanded(motor, Command.SPEED, state.speed_rpm, plant.load, plant.volts)
        watts = float(at.motor.input_power_w)
        wanted = share_of_signal(plant.signal, settings.signal_v) * float(motor.rated_speed_rpm)
        limited = wanted > _electronic_goal(plant, settings) + 1
    factor = float(motor.module.power_factor)
    amps = watts / (plant.volts * factor)
    return {"output_v": 0.0, "output_a": 0.0, "line_a": amps, "input_w": watts, "power_factor": factor, "link_v": LINK_FACTOR * plant.volts, "limited": limited}  # fmt: skip


def _sound(plant: Plant, state: State) -> float:
    """Sound beside the machine, dB(A): fan laws of sound, and whatever rings at this speed."""
    electronic = isinstance(plant.motor, ElectronicMotor)
    hertz = state.speed_rpm * plant.poles / 120 if electronic else state.output_hz
    if state.speed_rpm <= CRAWL_RPM or hertz <= STILL_HZ:
        return QUIET_DB
    level = plant.sound_db + SOUND_PER_DECADE * math.log10(hertz / plant.sound_hz)
    for one in plant.resonances:
        level += one.louder_db * math.exp(-(((hertz - one.at_hz) / one.width_hz) ** 2))
    return max(level, QUIET_DB)
