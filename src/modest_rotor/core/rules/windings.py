"""What an ohmmeter said of the windings."""

from __future__ import annotations

from modest_rotor.core.assessment import Finding
from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.identify.windings import Windings
from modest_rotor.core.phrase import as_typed
from modest_rotor.core.rules.case import Case
from modest_rotor.core.rules.found import found
from modest_rotor.core.stations.identity import LEAST_GROUND_OHM, winding_reading

FAULTS = {
    Windings.OPEN: "A winding reads open, or the thermal switch inside is open.",
    Windings.SHORTED: "A pair of windings reads as good as nothing: shorted turns, or probes that touched.",
    Windings.RULE_BROKEN: "The highest of three winding resistances is not the sum of the other two.",
}


def winding_fault(case: Case) -> tuple[Finding, ...]:
    """Open, shorted, or against the sum rule; three equal pairs on a capacitor motor, unequal ones on a three-phase."""
    reading = winding_reading(case.job.document.identification)
    if reading is None:
        return ()
    three = case.job.document.plate.kind in (MotorKind.THREE_PHASE, MotorKind.ELECTRONIC)
    words = FAULTS.get(reading.verdict)
    if three and reading.verdict in (Windings.START_AND_RUN, Windings.TWO_EQUAL, Windings.RULE_BROKEN):
        words = "Three windings that should read alike do not."
    asked = case.job.document.identification
    read = (("first to second ", asked.first_second), ("second to third ", asked.second_third), ("third to first ", asked.third_first))  # fmt: skip
    evidence = tuple((name, as_typed("winding_resistance", entry, "measured")) for name, entry in read if entry)
    if words is None:
        return ()
    action = "Let it cool for half an hour and read again before it is condemned: a thermal switch closes by itself." if reading.verdict is Windings.OPEN else "Read once more with every lead off; the same again condemns the motor."  # fmt: skip
    return (found("winding_fault", (words,), action, evidence=evidence),)


def winding_to_ground(case: Case) -> tuple[Finding, ...]:
    """Insulation that does not hold."""
    entry = case.job.document.identification.to_ground
    if entry is None or entry.si >= LEAST_GROUND_OHM:
        return ()
    sentence = (
        "The windings read ",
        as_typed("ground_resistance", entry, "measured"),
        " to ground; 1 MΩ is the least.",
    )
    return (found("winding_to_ground", sentence, "Do not energise it. Dry it and test once more, or replace it."),)
