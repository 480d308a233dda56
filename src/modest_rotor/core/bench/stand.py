"""What stands on the Bench, and its controls: a motor with wheel, pump or bare shaft, and what may be turned while it runs."""

from __future__ import annotations

from dataclasses import dataclass, replace
from enum import StrEnum
from functools import cache

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.identify.fit import fit_motor
from modest_rotor.core.identify.motor import MotorKind, PlateFacts
from modest_rotor.core.identify.perturb import Setup
from modest_rotor.core.physics.drive import Drive, drive_input, output_voltage
from modest_rotor.core.physics.electronic import Command, ElectronicMotor
from modest_rotor.core.physics.fan import MachineCurve, Wheel, generic_shape
from modest_rotor.core.physics.load import Load
from modest_rotor.core.physics.motor_point import MotorPoint
from modest_rotor.core.physics.operating_point import InductionMotor, OperatingPoint
from modest_rotor.core.physics.supply import Supply
from modest_rotor.core.physics.system import SystemCurve
from modest_rotor.core.physics.two_axis import Auxiliary, TwoAxisMotor

BARE_SHARE = 0.01
"""Torque that bearings and air take of a bare shaft, as a share of the load it was made for. Our judgement, no source."""
LOW_TAP = 0.45
"""Extra turns of the lower tap over those of the main winding. Our judgement, no source."""


class Tap(StrEnum):
    """Which speed tap is live."""

    HIGH = "high"
    LOW = "low"


@dataclass(frozen=True)
class Stand:
    """What is bolted down: it does not change while the rig runs.

    :param motor: any kind. :param volts: rated, V. :param hertz: rated. :param load: the wheel or pump in its duct or pipe.
    :param inertia_kgm2: of rotor and wheel. :param drive: that feeds it, if one does. :param own_fan: whether a fan on its own
        shaft cools it, and not the air that its wheel moves.
    """

    name: str
    motor: InductionMotor | ElectronicMotor
    volts: float
    hertz: float
    load: Load
    inertia_kgm2: float
    drive: Drive | None = None
    own_fan: bool = False

    @property
    def is_electronic(self) -> bool:
        """Whether the motor is told what to hold."""
        return isinstance(self.motor, ElectronicMotor)


@dataclass(frozen=True)
class Controls:
    """What may be turned while it runs.

    :param volts: over rated. :param hertz: of the supply or the drive's output; rated where nought.
    :param bare: whether the wheel is off. :param damper: the flow-dependent part of the system over that as built; ``filter``
        likewise. :param lift: fixed pressure over that at the built point. :param capacitor: µF left over the label's; 0 is open.
    :param drag: rubbing torque over the load's. :param command: what an electronic motor holds; ``value`` share of rated
        torque, of the built flow, or of rated speed.
    """

    volts: float = 1.0
    hertz: float = 0.0
    tap: Tap = Tap.HIGH
    bare: bool = False
    damper: float = 1.0
    filter: float = 1.0
    lift: float = 0.0
    capacitor: float = 1.0
    drag: float = 0.0
    command: Command = Command.SPEED
    value: float = 1.0
    winding_c: float = 80.0


def setup_of(stand: Stand, controls: Controls) -> Setup:
    """Motor, supply and load as the controls have them, ready to be solved.

    :raises OutsideValidity: volts, hertz or resistance that nothing runs on; a control that this motor does not have.

    Source: definitions; volts of a drive by its V/f law.
    """
    if not (
        controls.volts > 0
        and controls.damper > 0
        and controls.filter > 0
        and controls.drag >= 0
        and controls.hertz >= 0
    ):
        raise OutsideValidity("Volts and the system's resistance lie above zero; drag and hertz not below.")
    load = _load(stand, controls)
    motor, hertz = stand.motor, controls.hertz or stand.hertz
    if isinstance(motor, ElectronicMotor):
        scale = {
            Command.TORQUE: 1.0,
            Command.AIRFLOW: float(stand.load.machine.flow),
            Command.SPEED: float(motor.rated_speed_rpm),
        }
        supply = Supply(stand.volts * controls.volts, stand.hertz)
        return Setup(motor, supply, load, controls.command, controls.value * scale[controls.command])
    volts = stand.volts if stand.drive is None else float(output_voltage(stand.drive, hertz))
    supply = Supply(volts * controls.volts, hertz, winding_c=controls.winding_c, rotor_c=controls.winding_c)
    if isinstance(motor, TwoAxisMotor) and motor.auxiliary is Auxiliary.CAPACITOR:
        if controls.capacitor <= 0:
            motor = replace(motor, auxiliary=Auxiliary.SWITCHED_OFF)
        supply = replace(
            supply, tap=LOW_TAP if controls.tap is Tap.LOW else 0.0, capacitor_health=max(controls.capacitor, 1e-3)
        )
    elif controls.tap is Tap.LOW or controls.capacitor != 1:
        raise OutsideValidity("This motor has neither run capacitor nor speed taps.")
    return Setup(motor, supply, load)


def solved(stand: Stand, controls: Controls) -> OperatingPoint:
    """Where the rig comes to rest or runs for good. Errors, validity and source as :func:`setup_of` and of the motor's kind."""
    return setup_of(stand, controls).settled()


@dataclass(frozen=True)
class AtTheLine:
    """What is taken where the rig is fed: W, A, and the true power factor."""

    watts: float
    amps: float
    power_factor: float


def at_the_line(stand: Stand, motor: MotorPoint) -> AtTheLine:
    """What the rig takes from the line for a motor at a point: through its drive, where it has one. Source: of the drive."""
    if stand.drive is None:
        return AtTheLine(float(motor.input_power_w), float(motor.current_a), float(motor.power_factor))
    taken = drive_input(stand.drive, motor, stand.volts)
    return AtTheLine(float(taken.input_power_w), float(taken.current_a), float(taken.power_factor))


def synchronous_rpm(stand: Stand, controls: Controls) -> float:
    """Speed of the motor's field, rpm; nought where it has none to slip against. Source: definition."""
    if isinstance(stand.motor, ElectronicMotor):
        return 0.0
    return float(stand.motor.synchronous_rpm(setup_of(stand, controls).supply))


def _load(stand: Stand, controls: Controls) -> Load:
    load = stand.load
    built = load.system.pressure_at(load.machine.flow)
    fixed = load.system.fixed_pressure + controls.lift * built
    system = SystemCurve(fixed, load.system.coefficient * controls.damper * controls.filter, load.system.exponent)
    machine = load.machine
    if controls.bare:
        machine = replace(machine, power=machine.power * BARE_SHARE, pressure=machine.pressure * BARE_SHARE)
        system = SystemCurve(0.0, load.system.coefficient * BARE_SHARE, load.system.exponent)
    torque = load.at_motor_speed(load.speed_rpm).torque_nm
    return replace(load, machine=machine, system=system, drag_nm=load.drag_nm + controls.drag * torque)


def _through(wheel: Wheel, flow: float, pressure: float, power: float, speed: float, at: float = 1.0) -> Load:
    machine = MachineCurve(generic_shape(wheel), flow, pressure, power, at)
    return Load(machine, speed, SystemCurve(0.0, pressure / flow**2))


@cache
def stands() -> dict[str, Stand]:
    """The stands that ship, by name; all invented."""
    blower = fit_motor(PlateFacts.of(MotorKind.SPLIT_CAPACITOR, 373.0, 230.0, 3.2, 1075.0, 60.0, 7.5e-6)).motor
    hall = fit_motor(PlateFacts.of(MotorKind.THREE_PHASE, 1500.0, 400.0, 3.4, 1435.0, 50.0)).motor
    electronic = ElectronicMotor(560.0, 1100.0)
    found = (
        Stand("capacitor blower", blower, 230.0, 60.0, _through(Wheel.FORWARD_CURVED, 0.61, 212.0, 330.0, 1075.0, 1.1), 0.05),
        Stand("capacitor fan, backward-inclined", blower, 230.0, 60.0, _through(Wheel.BACKWARD_INCLINED, 0.55, 260.0, 300.0, 1085.0), 0.06),
        Stand("capacitor fan, axial", blower, 230.0, 60.0, _through(Wheel.AXIAL, 1.3, 95.0, 290.0, 1085.0), 0.04),
        Stand("three-phase fan", hall, 400.0, 50.0, _through(Wheel.BACKWARD_INCLINED, 2.1, 388.0, 1310.0, 1444.0), 0.16, own_fan=True),
        Stand("three-phase fan on a drive", hall, 400.0, 50.0, _through(Wheel.BACKWARD_INCLINED, 2.1, 388.0, 1310.0, 1444.0), 0.16, Drive(1500.0, 4.1, 50.0, 400.0), own_fan=True),
        Stand("three-phase pump on a drive", hall, 400.0, 50.0, _through(Wheel.PUMP, 0.0055, 130_000.0, 1250.0, 1444.0), 0.03, Drive(1500.0, 4.1, 50.0, 400.0), own_fan=True),
        Stand("electronic blower", electronic, 230.0, 60.0, _through(Wheel.FORWARD_CURVED, 0.61, 212.0, 330.0, 1075.0, 1.1), 0.05),
    )  # fmt: skip
    return {stand.name: stand for stand in found}
