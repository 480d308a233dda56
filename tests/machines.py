"""Motors and machines of the tests: a blower, a small fan and a three-phase pump, all made up."""

from __future__ import annotations

from functools import cache

from modest_rotor.core.identify.fit import FittedMotor, fit_motor
from modest_rotor.core.identify.motor import MotorKind, PlateFacts
from modest_rotor.core.physics.fan import MachineCurve, MachineType, generic_shape
from modest_rotor.core.physics.load import Load
from modest_rotor.core.physics.supply import Supply
from modest_rotor.core.physics.system import SystemCurve, system_through

CFM, IN_WG = 0.00047194745, 249.08891


BLOWER = PlateFacts.of(MotorKind.SPLIT_CAPACITOR, 373.0, 230.0, 3.2, 1075.0, 60.0, 7.5e-6)
FAN = PlateFacts.of(MotorKind.SPLIT_CAPACITOR, 186.5, 115.0, 2.6, 1720.0, 60.0, 10e-6)
PUMP = PlateFacts.of(MotorKind.THREE_PHASE, 1500.0, 400.0, 3.4, 1435.0, 50.0)
START_SWITCH = PlateFacts.of(MotorKind.SINGLE_PHASE, 373.0, 115.0, 7.4, 1725.0, 60.0)
SHADED = PlateFacts.of(MotorKind.SHADED_POLE, 9.0, 230.0, 0.28, 1300.0, 50.0)
EVERY_KIND = (BLOWER, FAN, PUMP, START_SWITCH, SHADED)


@cache
def fitted(facts: PlateFacts) -> FittedMotor:
    """The motor of a plate alone."""
    return fit_motor(facts)


def rated(facts: PlateFacts, **other: float) -> Supply:
    """Rated volts and hertz, with something else changed."""
    return Supply(
        **{"voltage": float(facts.rated_voltage_v or 0), "frequency": float(facts.frequency_hz or 0), **other}
    )


WHEEL_1300 = MachineCurve(generic_shape(MachineType.FORWARD_CURVED), 1300 * CFM, 0.85 * IN_WG, 330.0, 1.1)
"""A forward-curved wheel through 1,300 cfm, 0.85 in. w.g., 330 W at 1,075 rpm, above its best flow."""
DUCT_1300 = system_through(1300 * CFM, 0.85 * IN_WG, 0.0)


def blower_load(system: SystemCurve = DUCT_1300) -> Load:
    """The wheel in a duct."""
    return Load(WHEEL_1300, 1075.0, system)


def fan_load(
    power: float = 186.5,
    speed: float = 1720.0,
    machine_type: MachineType = MachineType.BACKWARD_INCLINED,
    fixed: float = 0.0,
) -> Load:
    """A wheel through its best point at a speed, in a duct through the same point."""
    machine = MachineCurve(generic_shape(machine_type), 0.5, 150.0, power, 1.0)
    return Load(machine, speed, system_through(0.5, 150.0, fixed))
