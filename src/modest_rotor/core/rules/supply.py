"""The supply at the motor: its connection, 208 V on a 230 V plate, a high leg, unbalance."""

from __future__ import annotations

from collections.abc import Iterator

from modest_rotor.core.assessment import Finding, Severity
from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.phrase import Figure, as_typed, figure
from modest_rotor.core.rules.case import Case
from modest_rotor.core.rules.found import found
from modest_rotor.core.say import say, tell
from modest_rotor.core.standards.motors import LARGEST_UNBALANCE, unbalance_derating, voltage_unbalance
from modest_rotor.core.stations.set_facts import SetFacts
from modest_rotor.core.stations.trust import LINE_AMPS, LINE_VOLTS

NEAR_OTHER = 0.15
"""Share within which volts are taken for those of the other connection."""
LEAST_UNBALANCE, AMPS_UNBALANCE = 0.01, 0.10
SUPPLY_208, PLATE_230 = (195.0, 215.0), (220.0, 240.0)
HIGH_LEG_RATIO, LEG_TO_GROUND = (1.6, 1.9), (185.0, 225.0)
"""A high leg stands at √3 times what the other two show to ground: 208 V where they show 120 V."""
LINE_OF_HIGH_LEG = (220.0, 250.0)


def connection_unsaid(case: Case) -> tuple[Finding, ...]:
    """Two connections on the plate, and nobody said which one is wired."""
    plate = case.job.document.nameplate
    if plate.second_voltage is None or plate.wired_for is not None:
        return ()
    sentence: list[str | Figure] = [say("rules-supply-connection-unsaid-plate-two")]
    read = next((facts for facts in case.sets if facts.running.voltage), None)
    if read is not None and read.running.voltage is not None:
        sentence += [
            say("rules-supply-connection-unsaid-has", read=read.title),
            figure("voltage", read.running.voltage, "measured"),
        ]
        taken = case.job.document.nameplate_as_fed.wired_voltage
        if taken is not None:
            sentence += [say("rules-supply-connection-unsaid-so-taken"), as_typed("rated_voltage", taken, "plate")]
    return (found("connection_unsaid", tell("rules-supply-connection-unsaid-x", sentence=sentence), say("rules-supply-connection-unsaid-read-links")),)  # fmt: skip


def connection_does_not_match(case: Case) -> tuple[Finding, ...]:
    """Volts at the motor that belong to the other connection of its plate."""
    return tuple(finding for facts in case.sets for finding in _connection(case, facts))


def _connection(case: Case, facts: SetFacts) -> Iterator[Finding]:
    plate, volts = case.job.document.nameplate, facts.running.voltage
    wired = plate.wired_voltage
    if plate.second_voltage is None or plate.rated_voltage is None or wired is None or volts is None:
        return
    if plate.wired_for is None:
        return  # nobody said how it is wired: that is asked, and stops nothing
    other = plate.rated_voltage if wired is plate.second_voltage else plate.second_voltage
    fits_other = abs(volts.value / other.si - 1) <= NEAR_OTHER
    if fits_other and abs(volts.value / wired.si - 1) > NEAR_OTHER:
        yield found(
            "connection_does_not_match",
            tell("rules-supply-connection-motor-fed", set=facts.title, voltage=figure("voltage", volts, "measured"), rated_voltage=as_typed("rated_voltage", wired, "plate")),
            say("rules-supply-connection-stop-twice"),
            about=facts,
        )  # fmt: skip


def two_oh_eight_on_230(case: Case) -> tuple[Finding, ...]:
    """208 V on a motor made for 230 V only."""
    rated = case.job.document.nameplate_as_fed.wired_voltage
    if rated is None or rated.low is not None or not PLATE_230[0] <= rated.si <= PLATE_230[1]:
        return ()
    return tuple(
        found(
            "two_oh_eight_on_230",
            tell("rules-supply-two-oh-eight-on-230-motor-runs", set=facts.title, rated_voltage=as_typed("rated_voltage", rated, "plate"), voltage=figure("voltage", facts.running.voltage, "measured")),
            say("rules-supply-two-oh-eight-on-230-slips-more"),
            about=facts,
        )
        for facts in case.sets
        if facts.running.voltage and SUPPLY_208[0] <= facts.running.voltage.value <= SUPPLY_208[1]
    )  # fmt: skip


def high_leg(case: Case) -> tuple[Finding, ...]:
    """A leg that stands far above the others to ground."""
    return tuple(
        found(
            "high_leg",
            tell("rules-supply-high-leg-leg-stands", set=facts.title, voltage=as_typed("voltage", leg, "measured")),
            say("rules-supply-high-leg-phase-v"),
            about=facts,
        )
        for facts in case.sets
        if (leg := facts.reading.highest_to_ground) and _is_high(facts, leg.si)
    )  # fmt: skip


def _is_high(facts: SetFacts, leg: float) -> bool:
    line = facts.running.voltage.value if facts.running.voltage else None
    if line is not None and LINE_OF_HIGH_LEG[0] <= line <= LINE_OF_HIGH_LEG[1]:
        return HIGH_LEG_RATIO[0] <= leg / (line / 2) <= HIGH_LEG_RATIO[1]
    return line is None and LEG_TO_GROUND[0] <= leg <= LEG_TO_GROUND[1]


def volts_unbalanced(case: Case) -> tuple[Finding, ...]:
    """Three line volts that differ, and what the motor may still give."""
    if case.plate.kind is not MotorKind.THREE_PHASE:
        return ()
    return tuple(finding for facts in case.sets for finding in _unbalance(facts))


def _unbalance(facts: SetFacts) -> Iterator[Finding]:
    volts = [entry for name in LINE_VOLTS if (entry := getattr(facts.reading, name))]
    if len(volts) < len(LINE_VOLTS):
        return
    evidence = tuple(tell("rules-supply-unbalance-volts", name=name, voltage=as_typed("voltage", entry, "measured")) for name, entry in zip(("1-2", "2-3", "3-1"), volts, strict=True))  # fmt: skip
    if min(entry.si for entry in volts) <= 0:
        yield found(
            "volts_unbalanced", (say("rules-supply-unbalance-line-dead", set=facts.title),),
            say("rules-supply-unbalance-leave-off"), about=facts, severity=Severity.STOP, evidence=evidence,
        )  # fmt: skip
        return
    unbalance = voltage_unbalance(*(entry.si for entry in volts))
    if unbalance <= LEAST_UNBALANCE:
        return
    beyond = unbalance > LARGEST_UNBALANCE
    derated = (
        ()
        if beyond
        else tell("rules-supply-unbalance-motor-may", derating=figure("derating", unbalance_derating(unbalance)))
    )
    yield found(
        "volts_unbalanced",
        tell("rules-supply-unbalance-line-volts", set=facts.title, unbalance=figure("unbalance", unbalance), derated=derated),
        say("rules-supply-unbalance-do-run") if beyond else say("rules-supply-unbalance-find-reason"),
        about=facts, severity=Severity.STOP if beyond else Severity.CAUTION, evidence=evidence,
    )  # fmt: skip


def amps_unbalanced(case: Case) -> tuple[Finding, ...]:
    """Three line amps that differ more than the volts explain."""
    if case.plate.kind is not MotorKind.THREE_PHASE:
        return ()
    told = []
    for facts in case.sets:
        amps = [entry.si for name in LINE_AMPS if (entry := getattr(facts.reading, name))]
        mean = sum(amps) / len(amps) if amps else 0.0
        if len(amps) == len(LINE_AMPS) and mean > 0 and max(abs(one - mean) for one in amps) > AMPS_UNBALANCE * mean:
            sentence = tell("rules-supply-amps-unbalanced-line-amps", set=facts.title, slip=figure("slip", max(abs(one - mean) for one in amps) / mean))  # fmt: skip
            told.append(found("amps_unbalanced", sentence, say("rules-supply-amps-unbalanced-small-unbalance"), about=facts))  # fmt: skip
    return tuple(told)
