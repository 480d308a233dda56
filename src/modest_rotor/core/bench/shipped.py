"""The stands that ship, all invented: every kind of motor, every kind of wheel, alone, on a drive, or two side by side."""

from __future__ import annotations

from functools import cache

from modest_rotor.core.bench.stand import Stand
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.identify.fit import fit_motor
from modest_rotor.core.identify.motor import MotorKind, PlateFacts
from modest_rotor.core.physics.drive import Drive, Rectifier
from modest_rotor.core.physics.electronic import ElectronicMotor
from modest_rotor.core.physics.fan import MachineCurve, MachineType, generic_shape
from modest_rotor.core.physics.load import Load
from modest_rotor.core.physics.operating_point import InductionMotor
from modest_rotor.core.physics.system import system_through
from modest_rotor.core.say import say

BLOWER, BACKWARD, AXIAL = (
    say("shipped-these-capacitor-blower"),
    say("shipped-these-capacitor-fan"),
    say("shipped-these-capacitor-fan-axial"),
)
LINE_FAN, DRIVE_FAN, ELECTRONIC = (
    say("shipped-these-three-phase"),
    say("shipped-these-three-phase-fan"),
    say("shipped-these-electronic-blower"),
)
LINE_PUMP, SWITCHED = say("shipped-these-three-phase-pump"), say("shipped-these-blower-start")
LIFT_SHARE = 0.65


@cache
def stands() -> dict[str, Stand]:
    """The stands that ship, by name."""
    blower = _fitted(MotorKind.SPLIT_CAPACITOR, 373.0, 230.0, 3.2, 1075.0, 60.0, 7.5e-6)
    hall = _fitted(MotorKind.THREE_PHASE, 1500.0, 400.0, 3.4, 1435.0, 50.0)
    small = _fitted(MotorKind.THREE_PHASE, 750.0, 230.0, 3.1, 1420.0, 50.0)
    shaded = _fitted(MotorKind.SHADED_POLE, 38.0, 230.0, 0.75, 1330.0, 50.0)
    switch = _fitted(MotorKind.SINGLE_PHASE, 373.0, 115.0, 7.4, 1725.0, 60.0)
    drive = Drive(1500.0, 4.1, 50.0, 400.0)
    fan = _through(MachineType.BACKWARD_INCLINED, 2.1, 388.0, 1310.0, 1444.0)
    pump = _through(MachineType.PUMP, 0.0055, 130_000.0, 1250.0, 1444.0)
    lift = _through(MachineType.PUMP, 0.0055, 130_000.0, 1250.0, 1444.0, fixed=LIFT_SHARE)
    pair = _through(MachineType.BACKWARD_INCLINED, 2.1, 388.0, 1310.0, 1444.0, side_by_side=2)
    one_phase = Drive(750.0, 4.0, 50.0, 230.0, rectifier=Rectifier.SINGLE_PHASE)
    found = (
        Stand(BLOWER, blower, 230.0, 60.0, _through(MachineType.FORWARD_CURVED, 0.61, 212.0, 330.0, 1075.0, 1.1), 0.05),
        Stand(BACKWARD, blower, 230.0, 60.0, _through(MachineType.BACKWARD_INCLINED, 0.55, 260.0, 300.0, 1085.0), 0.06),
        Stand(AXIAL, blower, 230.0, 60.0, _through(MachineType.AXIAL, 1.3, 95.0, 290.0, 1085.0), 0.04),
        Stand(say("shipped-stands-shaded-pole"), shaded, 230.0, 50.0, _through(MachineType.AXIAL, 0.28, 45.0, 33.0, 1335.0), 0.004),
        Stand(SWITCHED, switch, 115.0, 60.0, _through(MachineType.FORWARD_CURVED, 0.55, 230.0, 330.0, 1735.0), 0.04, own_fan=True),
        Stand(LINE_FAN, hall, 400.0, 50.0, fan, 0.16, own_fan=True),
        Stand(DRIVE_FAN, hall, 400.0, 50.0, fan, 0.16, drive, own_fan=True),
        Stand(say("shipped-stands-two-fans"), hall, 400.0, 50.0, pair, 0.16, drive, own_fan=True),
        Stand(say("shipped-stands-fan-drive"), small, 230.0, 50.0, _through(MachineType.BACKWARD_INCLINED, 1.1, 350.0, 640.0, 1428.0), 0.08, one_phase, own_fan=True),
        Stand(LINE_PUMP, hall, 400.0, 50.0, pump, 0.03, own_fan=True),
        Stand(say("shipped-stands-circulating-pump"), hall, 400.0, 50.0, pump, 0.03, drive, own_fan=True),
        Stand(say("shipped-stands-lift-pump"), hall, 400.0, 50.0, lift, 0.03, drive, own_fan=True),
        Stand(ELECTRONIC, ElectronicMotor(560.0, 1100.0), 230.0, 60.0, _through(MachineType.FORWARD_CURVED, 0.61, 212.0, 330.0, 1075.0, 1.1), 0.05),
    )  # fmt: skip
    return {stand.name: stand for stand in found}


def stand_called(name: str) -> Stand:
    """A stand that ships. :raises OutsideValidity: there is none of this name."""
    if name not in stands():
        raise OutsideValidity(say("shipped-stand-called", name=name[:60]))
    return stands()[name]


def _fitted(
    kind: MotorKind, power_w: float, volts: float, amps: float, rpm: float, hertz: float, farads: float | None = None
) -> InductionMotor:
    return fit_motor(PlateFacts.of(kind, power_w, volts, amps, rpm, hertz, farads)).motor


def _through(
    machine_type: MachineType,
    flow: float,
    pressure: float,
    power: float,
    speed: float,
    place: float = 1.0,
    fixed: float = 0.0,
    side_by_side: int = 1,
) -> Load:
    machine = MachineCurve(generic_shape(machine_type), flow, pressure, power, place)
    system = system_through(side_by_side * flow, pressure, fixed * pressure)
    return Load(machine, speed, system, running=side_by_side)
