"""What an ohmmeter said of the windings."""

from __future__ import annotations

from modest_rotor.core.assessment import Finding
from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.identify.windings import Windings
from modest_rotor.core.phrase import as_typed
from modest_rotor.core.rules.case import Case
from modest_rotor.core.rules.found import found
from modest_rotor.core.say import say, tell
from modest_rotor.core.stations.identity import LEAST_GROUND_OHM, winding_reading

FAULTS = {
    Windings.OPEN: say("rules-windings-faults-winding-reads"),
    Windings.SHORTED: say("rules-windings-faults-pair-windings"),
    Windings.RULE_BROKEN: say("rules-windings-faults-highest-three"),
}


def winding_fault(case: Case) -> tuple[Finding, ...]:
    """Open, shorted, or against the sum rule; three equal pairs on a capacitor motor, unequal ones on a three-phase."""
    reading = winding_reading(case.job.document.identification)
    if reading is None:
        return ()
    three = case.job.document.nameplate.kind in (MotorKind.THREE_PHASE, MotorKind.ELECTRONIC)
    words = FAULTS.get(reading.verdict)
    if three and reading.verdict in (Windings.START_AND_RUN, Windings.TWO_EQUAL, Windings.RULE_BROKEN):
        words = say("rules-windings-winding-fault-three-windings")
    asked = case.job.document.identification
    read = ((say("rules-windings-first-second"), asked.first_second), (say("rules-windings-second-third"), asked.second_third), (say("rules-windings-third-first"), asked.third_first))  # fmt: skip
    evidence = tuple((name, as_typed("winding_resistance", entry, "measured")) for name, entry in read if entry)
    if words is None:
        return ()
    action = say("rules-windings-winding-fault-let-cool") if reading.verdict is Windings.OPEN else say("rules-windings-winding-fault-read-once")  # fmt: skip
    return (found("winding_fault", (words,), action, evidence=evidence),)


def winding_to_ground(case: Case) -> tuple[Finding, ...]:
    """Insulation that does not hold."""
    entry = case.job.document.identification.to_ground
    if entry is None or entry.si >= LEAST_GROUND_OHM:
        return ()
    sentence = tell(
        "rules-windings-winding-to-ground-windings-read",
        ground_resistance=as_typed("ground_resistance", entry, "measured"),
    )
    return (found("winding_to_ground", sentence, say("rules-windings-winding-to-ground-do-energise")),)
