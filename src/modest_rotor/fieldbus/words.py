"""What is said of a register's value: a figure in its quantity, or words for bits and numbers."""

from __future__ import annotations

from modest_rotor.core.phrase import Phrase, figure
from modest_rotor.fieldbus.profile import QUANTITY_OF, DeviceProfile, Role

NAMES = {
    Role.RUN: "run command",
    Role.LOW_LIMIT: "lowest frequency",
    Role.HIGH_LIMIT: "highest frequency",
    Role.STATUS: "state",
    Role.SIGNAL_INPUT: "0-10 V input",
    Role.VOLTAGE: "line volts",
    Role.CURRENT: "line amps",
    Role.ENTERING: "air entering",
    Role.LEAVING: "air leaving",
    Role.SUPPLY_STATIC: "static after the fan",
    Role.RETURN_STATIC: "static before the fan",
    Role.LOOP_ON: "loop",
    Role.LOOP_RANGE: "range of the sensor",
    Role.LOOP_GAIN: "gain of the loop",
    Role.LOOP_INTEGRAL: "integral time of the loop",
    Role.FEEDBACK: "value at the loop's sensor",
    Role.NOISE: "meter's noise",
    Role.DROP_OUTS: "share of answers dropped",
    Role.DRIFT: "meter's drift",
}
PARTS = {"skip": "skipped band", "low": "from", "high": "to"}


def role_words(role: Role) -> str:
    """What a person calls a register."""
    if role in NAMES:
        return NAMES[role]
    return " ".join(PARTS.get(part, part) if role.startswith("skip_") else part for part in role.split("_"))


def said(profile: DeviceProfile, role: Role, value: float) -> Phrase:
    """A value as it is told."""
    quantity = QUANTITY_OF.get(role)
    if quantity:
        return (figure(quantity, value, "measured"),)
    if role is Role.RUN:
        return ("run",) if value >= 1 else ("stop",)
    if role is Role.LOOP_ON:
        return ("closed",) if value >= 1 else ("in hand",)
    if role is Role.STATUS:
        return ("running",) if int(value) >> profile.running_bit & 1 else ("standing",)
    if role is Role.FAULT:
        number = int(value)
        return (profile.faults.get(number, "none" if number == 0 else f"fault {number}"),)
    if role is Role.WARNING:
        return ("none",) if value == 0 else ("held back: more was asked than it can give",)
    return (f"{value:.0f}",)
