"""What stands on the Bench, and its controls: a motor with wheel, pump or bare shaft, and what may be turned while it runs."""

from __future__ import annotations

import math
from dataclasses import dataclass, replace
from enum import StrEnum
from functools import cached_property, lru_cache

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.identify.perturb import FILTER_SHARE, Change, Setup, perturbed
from modest_rotor.core.physics.drive import LINEAR, VARIABLE_TORQUE, Drive, drive_input, output_voltage
from modest_rotor.core.physics.electronic import Command, ElectronicMotor
from modest_rotor.core.physics.fan import WATER, Medium, medium_of, resized
from modest_rotor.core.physics.fields import RAD_S_PER_RPM
from modest_rotor.core.physics.load import Load
from modest_rotor.core.physics.motor_point import MotorPoint
from modest_rotor.core.physics.operating_point import InductionMotor, OperatingPoint
from modest_rotor.core.physics.supply import COLD_C, REFERENCE_C, Supply
from modest_rotor.core.physics.system import SystemCurve
from modest_rotor.core.physics.three_phase import ThreePhaseMotor, backward_field
from modest_rotor.core.physics.two_axis import Auxiliary, TwoAxisMotor
from modest_rotor.core.say import Number, say

BARE_SHARE = 0.01
"""Torque that bearings and air take of a bare shaft, as a share of the load it was made for. Our judgement, no source."""
LOW_TAP = 0.45
"""Extra turns of the lower tap over those of the main winding. Our judgement, no source."""
OUTLETS = 6
OUTLET_SHARE, DAMPER_SHARE = 0.2, 0.02
"""Shares of the built resistance that lie in the outlets and in the open damper. Our judgement, no source."""
DUCT_SHARE = 1 - FILTER_SHARE - OUTLET_SHARE - DAMPER_SHARE
DAMPER_PER_DEGREE = 0.1065
"""Growth of a butterfly damper's loss with every degree that it closes, in its logarithm: a straight line through I. E.
Idelchik, Handbook of Hydraulic Resistance, throttling discs in round pipes (0.2 open, 113 at 60°); from memory."""
KELVIN = 273.15
HOURS_OF_A_YEAR = 8760.0
OPEN = 1e-3
"""What is left of an open capacitor: so little that its winding carries next to nothing at any speed."""


class Tap(StrEnum):
    """Which speed tap is live."""

    HIGH = "high"
    LOW = "low"


class Law(StrEnum):
    """How a drive lets its volts follow its hertz."""

    LINEAR = "linear"
    FAN = "fan"


class SensorAt(StrEnum):
    """Where the sensor of a loop sits."""

    UNIT = "unit"
    ALONG = "along"


BEHIND = {SensorAt.UNIT: 1.0, SensorAt.ALONG: 1 / 3}
"""Share of the duct that lies behind the sensor; the outlets always do. Common practice: two thirds along."""
LEAST_LOOP_HZ = 10.0
"""Hertz below which a loop of the Bench does not go. Common practice, no source."""
HERTZ_ROUNDS = 5
EXPONENT = {Law.LINEAR: LINEAR, Law.FAN: VARIABLE_TORQUE}


@dataclass(frozen=True)
class Stand:
    """What is bolted down: it does not change while the rig runs.

    :param motor: any kind. :param volts: rated, V. :param hertz: rated. :param load: the wheel or pump in its duct or pipe, with
        as many side by side as ``load.running``.
    :param inertia_kgm2: of rotor and wheel. :param drive: that feeds it, if one does. :param own_fan: whether a fan on its own
        shaft cools it, and not the air that its wheel moves. :param notes: what is to be said of where it came from.
    """

    name: str
    motor: InductionMotor | ElectronicMotor
    volts: float
    hertz: float
    load: Load
    inertia_kgm2: float
    drive: Drive | None = None
    own_fan: bool = False
    notes: tuple[str, ...] = ()

    @cached_property
    def as_built(self) -> OperatingPoint:
        """Where it runs with nothing turned."""
        return solved(self, Controls())

    @property
    def is_electronic(self) -> bool:
        """Whether the motor is told what to hold."""
        return isinstance(self.motor, ElectronicMotor)

    @property
    def has_capacitor(self) -> bool:
        """Whether a run capacitor and speed taps belong to the motor."""
        return isinstance(self.motor, TwoAxisMotor) and self.motor.auxiliary is Auxiliary.CAPACITOR

    @property
    def has_start_switch(self) -> bool:
        """Whether a switch opens its start winding as it runs up."""
        return isinstance(self.motor, TwoAxisMotor) and self.motor.auxiliary is Auxiliary.SWITCHED_OFF

    @property
    def medium(self) -> Medium:
        """What it moves."""
        return medium_of(self.load.machine.shape.machine_type)

    @property
    def is_pump(self) -> bool:
        """Whether it moves water."""
        return self.medium is WATER


@dataclass(frozen=True)
class Controls:
    """What may be turned while it runs.

    :param volts: over rated. :param hertz: of the supply or the drive's output; rated where nought. :param unbalance: of three
        line volts, a share. :param law: of a drive's volts. :param carrier_hz: of a drive's pulses.
    :param bare: whether the wheel is off. :param open: how far the damper or valve is open, 1 is fully. :param filter: resistance of
        the filter over the clean one's; nought is none. :param outlets: open, of six. :param lift: fixed pressure over that at the
        built point. :param air_c: temperature of the air. :param fans: running side by side; nought is all.
    :param capacitor: µF left over the label's; 0 is open. :param label: µF on its label over those that belong there.
    :param drag: rubbing torque over the load's. :param command: what an electronic motor holds; ``value`` share of rated
        torque, of the built flow, or of rated speed.
    :param loop: whether the drive holds a pressure at a sensor by itself, and no longer the hertz. :param set_point: over what the
        sensor shows as built. :param gain: of the loop, share of full hertz for each share of the built pressure. :param integral_s: its
        integral time. :param sensor_at: where its sensor sits. :param sensor_s: each of its two lags.
    :param hours: of a year at these controls. :param low_hours: of a year at low. :param low: hertz or value at low over these.
    """

    volts: float = 1.0
    hertz: float = 0.0
    unbalance: float = 0.0
    law: Law = Law.LINEAR
    carrier_hz: float = 4000.0
    tap: Tap = Tap.HIGH
    bare: bool = False
    open: float = 1.0
    filter: float = 1.0
    outlets: int = OUTLETS
    lift: float = 0.0
    air_c: float = COLD_C
    fans: int = 0
    capacitor: float = 1.0
    label: float = 1.0
    drag: float = 0.0
    command: Command = Command.SPEED
    value: float = 1.0
    loop: bool = False
    set_point: float = 0.6
    gain: float = 1.0
    integral_s: float = 4.0
    sensor_at: SensorAt = SensorAt.ALONG
    sensor_s: float = 0.8
    hours: float = 0.0
    low_hours: float = 0.0
    low: float = 0.5


def setup_of(stand: Stand, controls: Controls, winding_c: float = REFERENCE_C) -> Setup:
    """Motor, supply and load as the controls have them, ready to be solved.

    :param winding_c: how warm winding and rotor are, °C.
    :raises OutsideValidity: volts, hertz or resistance that nothing runs on; a control that this motor does not have.

    Source: definitions; volts of a drive by its V/f law; air's density by the gas law.
    """
    _refuse(stand, controls)
    load, motor = load_of(stand, controls), stand.motor
    if isinstance(motor, ElectronicMotor):
        scale = {
            Command.TORQUE: 1.0,
            Command.AIRFLOW: float(stand.load.machine.flow * stand.load.running),
            Command.SPEED: float(motor.rated_speed_rpm),
        }
        supply = Supply(stand.volts * controls.volts, stand.hertz)
        return Setup(motor, supply, load, controls.command, controls.value * scale[controls.command])
    hertz = hertz_of(stand, controls)
    supply = Supply(motor_volts(stand, controls, hertz), hertz, winding_c=winding_c, rotor_c=winding_c)
    if stand.has_capacitor:
        tap = LOW_TAP if controls.tap is Tap.LOW else 0.0
        supply = replace(supply, tap=tap, capacitor_health=max(controls.capacitor * controls.label, OPEN))
    return Setup(motor, supply, load)


def hertz_of(stand: Stand, controls: Controls) -> float:
    """Hertz at the motor: as told, or those at which a closed loop comes to rest. Source: definition."""
    return held_hertz(stand, controls) if controls.loop else controls.hertz or stand.hertz


@lru_cache(maxsize=256)
def held_hertz(stand: Stand, controls: Controls) -> float:
    """Hertz at which the sensor shows the set point, between the loop's least and the rated; at an end where it cannot.

    Source: speed by :meth:`Load.at_flow` for the flow at which what lies behind the sensor asks for the set point; hertz by the
    motor's own slip, in turns.
    """
    hand = replace(controls, loop=False)
    load, target = load_of(stand, hand), set_pressure(stand, controls)
    behind = behind_sensor(stand, controls, load)
    spare = target - float(behind.fixed_pressure)
    if spare <= 0:
        return LEAST_LOOP_HZ
    flow = math.pow(spare / float(behind.coefficient), 1 / float(behind.exponent))
    rpm, reached = load.at_flow(flow)
    if not reached:
        return stand.hertz
    hertz = stand.hertz * float(rpm) / float(stand.as_built.motor.speed_rpm)
    for _ in range(HERTZ_ROUNDS):
        hertz = min(max(hertz, LEAST_LOOP_HZ), stand.hertz)
        turned = float(solved(stand, replace(hand, hertz=hertz)).motor.speed_rpm)
        if turned <= 0:
            return stand.hertz
        hertz *= float(rpm) / turned
    return min(max(hertz, LEAST_LOOP_HZ), stand.hertz)


def behind_sensor(stand: Stand, controls: Controls, load: Load) -> SystemCurve:
    """What lies behind the sensor of a loop: the fixed part, a share of the duct, and the outlets. Source: losses in series add up."""
    share = (DUCT_SHARE * BEHIND[controls.sensor_at] + OUTLET_SHARE * (OUTLETS / controls.outlets) ** 2) / resistance(
        controls
    )
    return replace(load.system, coefficient=load.system.coefficient * share)


def set_pressure(stand: Stand, controls: Controls) -> float:
    """Set point of a loop, Pa: a share of what its sensor shows on the rig as built. Source: definition."""
    built = Controls(sensor_at=controls.sensor_at)
    load = load_of(stand, built)
    flow = stand.load.machine.flow * stand.load.running
    return controls.set_point * float(behind_sensor(stand, built, load).pressure_at(flow))


def line_volts(stand: Stand, controls: Controls) -> float:
    """Volts of the line, V. Source: definition."""
    return stand.volts * controls.volts


def motor_volts(stand: Stand, controls: Controls, hertz: float) -> float:
    """Volts at the motor: the line's, or those of its drive at some hertz, which are never more than the line's.

    Source: :func:`output_voltage`; a drive holds its volts while its line sags, as far as its link lets it: common practice.
    """
    if stand.drive is None:
        return line_volts(stand, controls)
    drive = replace(stand.drive, exponent=EXPONENT[controls.law])
    return min(float(output_voltage(drive, hertz)), line_volts(stand, controls))


def solved(stand: Stand, controls: Controls, winding_c: float = REFERENCE_C) -> OperatingPoint:
    """Where the rig comes to rest or runs for good, unbalanced volts counted in.

    Errors, validity and source as :func:`setup_of`, :func:`at_slip` and of the motor's kind.
    """
    setup = setup_of(stand, controls, winding_c)
    if not controls.unbalance:
        return setup.settled()
    dragged = perturbed(setup, Change.UNBALANCED, controls.unbalance).settled()
    slip = float(dragged.motor.slip)
    return replace(dragged, motor=at_slip(setup, slip, controls.unbalance))


def at_slip(setup: Setup, slip: float, unbalance: float = 0.0) -> MotorPoint:
    """An induction motor at a slip, with the field that unbalanced volts turn backwards.

    :param unbalance: backward over forward volts, a share.
    :returns: amps of the worst line; what the backward field takes counts as a loss of its own.

    Source: as :func:`backward_field`.
    """
    assert not isinstance(setup.motor, ElectronicMotor)
    forward = setup.motor.at_slip(setup.supply, slip)
    if not unbalance:
        return forward
    assert isinstance(setup.motor, ThreePhaseMotor)
    backward, braking = backward_field(setup.motor, setup.supply, slip, unbalance)
    omega = float(forward.speed_rpm) * RAD_S_PER_RPM
    return replace(
        forward,
        torque_nm=forward.torque_nm - braking,
        shaft_power_w=forward.shaft_power_w - braking * omega,
        input_power_w=forward.input_power_w + backward.input_power_w,
        current_a=forward.current_a + backward.current_a,
        losses_w={**forward.losses_w, "backward field": backward.input_power_w + braking * omega},
    )


@dataclass(frozen=True)
class AtTheLine:
    """What is taken where the rig is fed, by all its motors: W, A, and the true power factor."""

    watts: float
    amps: float
    power_factor: float


def at_the_line(stand: Stand, controls: Controls, motor: MotorPoint) -> AtTheLine:
    """What the rig takes from the line for its running motors, all at one point: through their drives, where they have one.

    Source: of the drive.
    """
    running = running_of(stand, controls)
    if stand.drive is None:
        return AtTheLine(
            running * float(motor.input_power_w), running * float(motor.current_a), float(motor.power_factor)
        )
    taken = drive_input(stand.drive, motor, line_volts(stand, controls))
    return AtTheLine(running * float(taken.input_power_w), running * float(taken.current_a), float(taken.power_factor))


def running_of(stand: Stand, controls: Controls) -> int:
    """How many run side by side. Source: definition."""
    return min(controls.fans or stand.load.running, stand.load.running)


def synchronous_rpm(stand: Stand, controls: Controls) -> float:
    """Speed of the motor's field, rpm; nought where it has none to slip against. Source: definition."""
    if isinstance(stand.motor, ElectronicMotor):
        return 0.0
    return float(stand.motor.synchronous_rpm(Supply(stand.volts, hertz_of(stand, controls))))


def resistance(controls: Controls) -> float:
    """The flow-dependent part of the system over that as built: duct, filter, damper and outlets in a row.

    Source: losses in series add up; outlets side by side as the square of their number; the damper's law as above.
    """
    damper = math.exp(DAMPER_PER_DEGREE * 90 * (1 - controls.open))
    outlets = (OUTLETS / controls.outlets) ** 2
    return DUCT_SHARE + FILTER_SHARE * controls.filter + DAMPER_SHARE * damper + OUTLET_SHARE * outlets


def load_of(stand: Stand, controls: Controls) -> Load:
    """The wheel in its duct as the controls have it. Source: affinity laws for thinner air; definitions."""
    load = stand.load
    built = load.system.pressure_at(load.machine.flow * load.running)
    density = 1.0 if stand.is_pump else (KELVIN + COLD_C) / (KELVIN + controls.air_c)
    fixed = load.system.fixed_pressure + controls.lift * built
    system = SystemCurve(fixed, load.system.coefficient * resistance(controls) * density, load.system.exponent)
    machine = resized(load.machine, density_ratio=density)
    if controls.bare:
        machine = replace(machine, power=machine.power * BARE_SHARE, pressure=machine.pressure * BARE_SHARE)
        system = SystemCurve(0.0, load.system.coefficient * BARE_SHARE, load.system.exponent)
    torque = load.torque_at(load.belt.motor_speed(load.speed_rpm)) if controls.drag else 0.0
    drag = load.drag_nm + controls.drag * torque
    return replace(load, machine=machine, system=system, drag_nm=drag, running=running_of(stand, controls))


def _refuse(stand: Stand, controls: Controls) -> None:
    one = controls
    if not (one.volts > 0 and one.hertz >= 0 and one.drag >= 0 and one.filter >= 0 and one.unbalance >= 0):
        raise OutsideValidity(say("stand-refuse-volts-lie"))
    if not (0 < one.open <= 1 and 1 <= one.outlets <= OUTLETS and 0 <= one.lift < 1 and one.air_c > -KELVIN):
        raise OutsideValidity(say("stand-refuse-damper-stands", outlets=OUTLETS))
    if not stand.has_capacitor and (one.tap is Tap.LOW or one.capacitor != 1 or one.label != 1):
        raise OutsideValidity(say("stand-refuse-motor-neither"))
    if one.hours + one.low_hours > HOURS_OF_A_YEAR:
        raise OutsideValidity(say("stand-refuse-year-hours", hours_of_a_year=Number(HOURS_OF_A_YEAR, ",.0f")))
    if one.low_hours and stand.drive is None and not stand.is_electronic:
        raise OutsideValidity(say("stand-refuse-hours-low"))
    if one.loop and (stand.drive is None or one.bare):
        raise OutsideValidity(say("stand-refuse-loop-holds"))
    if not (one.set_point > 0 and one.gain > 0 and one.integral_s > 0 and one.sensor_s >= 0):
        raise OutsideValidity(say("stand-refuse-set-point"))
    if one.unbalance and (stand.drive is not None or not isinstance(stand.motor, ThreePhaseMotor)):
        raise OutsideValidity(say("stand-refuse-unbalanced-volts"))
