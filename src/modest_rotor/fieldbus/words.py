"""What is said of a register's value: a figure in its quantity, or words for bits and numbers."""

from __future__ import annotations

from modest_rotor.core.phrase import Phrase, figure
from modest_rotor.core.say import joined, say
from modest_rotor.fieldbus.profile import QUANTITY_OF, DeviceProfile, Role

NAMES = {
    Role.RUN: say("words-names-run-command"),
    Role.LOW_LIMIT: say("words-names-lowest-frequency"),
    Role.HIGH_LIMIT: say("words-names-highest-frequency"),
    Role.STATUS: say("words-names-state"),
    Role.SIGNAL_INPUT: say("words-names-v-input"),
    Role.VOLTAGE: say("words-names-line-volts"),
    Role.CURRENT: say("words-names-line-amps"),
    Role.ENTERING: say("words-names-air-entering"),
    Role.LEAVING: say("words-names-air-leaving"),
    Role.SUPPLY_STATIC: say("words-names-static-after"),
    Role.RETURN_STATIC: say("words-names-static-before"),
    Role.LOOP_ON: say("words-names-loop"),
    Role.LOOP_RANGE: say("words-names-range-sensor"),
    Role.LOOP_GAIN: say("words-names-gain-loop"),
    Role.LOOP_INTEGRAL: say("words-names-integral-time"),
    Role.FEEDBACK: say("words-names-value-loop"),
    Role.NOISE: say("words-names-meter-s"),
    Role.DROP_OUTS: say("words-names-share-answers"),
    Role.DRIFT: say("words-names-meter-s-drift"),
}
PARTS = {"skip": say("words-parts"), "low": say("words-parts-from"), "high": say("words-parts-to")}


def role_words(role: Role) -> str:
    """What a person calls a register."""
    if role in NAMES:
        return NAMES[role]
    return joined(" ", (PARTS.get(part, part) if role.startswith("skip_") else part for part in role.split("_")))


def said(profile: DeviceProfile, role: Role, value: float) -> Phrase:
    """A value as it is told."""
    quantity = QUANTITY_OF.get(role)
    if quantity:
        return (figure(quantity, value, "measured"),)
    if role is Role.RUN:
        return (say("words-said-run"),) if value >= 1 else (say("words-said-stop"),)
    if role is Role.LOOP_ON:
        return (say("origin-closed"),) if value >= 1 else (say("words-said-hand"),)
    if role is Role.STATUS:
        return (say("words-said-running"),) if int(value) >> profile.running_bit & 1 else (say("words-said-standing"),)
    if role is Role.FAULT:
        number = int(value)
        return (
            profile.faults.get(
                number, say("words-said-none") if number == 0 else say("words-said-fault", number=number)
            ),
        )
    if role is Role.WARNING:
        return (say("words-said-none"),) if value == 0 else (say("words-said-held-back"),)
    return (f"{value:.0f}",)
