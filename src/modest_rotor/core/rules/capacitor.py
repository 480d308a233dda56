"""The run capacitor: against its label, under load, its volts, and what it shares."""

from __future__ import annotations

from math import hypot, pi

from modest_rotor.core.assessment import Finding
from modest_rotor.core.entry import Entry
from modest_rotor.core.estimate import COVERAGE_95, Estimate
from modest_rotor.core.identify.meters import read_by_meter
from modest_rotor.core.phrase import Phrase, as_typed, figure
from modest_rotor.core.rules.case import Case
from modest_rotor.core.rules.found import found
from modest_rotor.core.say import Number, say, tell
from modest_rotor.core.stations.nameplate import Nameplate
from modest_rotor.core.stations.set_facts import SetFacts

UNPRINTED_TOLERANCE = 0.06
"""Tolerance of a run capacitor that prints none. Common practice, no source."""
OVERVOLTS = 1.10
"""Highest volts across a capacitor over its rating, IEC 60252-1 (from memory)."""
ROUNDING = 1e-9
"""What a fraction of two typed numbers may be off by itself: 9.5 of 10 µF is at 5 %, not beyond."""
REPLACE_FIRST = say("capacitor-replace-first")


def tolerance_of(plate: Nameplate) -> float:
    """The tolerance of the run capacitor, a fraction: as printed, or what is common.

    Source: IEC 60252-1 for marked tolerances (from memory); ± 6 % where none is printed, common practice.
    """
    return plate.capacitor_tolerance.si if plate.capacitor_tolerance else UNPRINTED_TOLERANCE


def reads_its_label(read: Entry, label: Entry, plate: Nameplate) -> bool:
    """Whether microfarads out of circuit lie within the label's tolerance, its ends included.

    Source: IEC 60252-1 (from memory) for a printed tolerance; where none is, common practice.
    """
    return abs(read.si / label.si - 1) <= tolerance_of(plate) * (1 + ROUNDING)


def capacitance_under_load(amps: Estimate, volts: Estimate, hertz: float) -> Estimate:
    """Capacitance from the amps through a capacitor and the volts across it, C = I ÷ (2π f V), F.

    :param amps: through the capacitor, A: the lead between it and the motor. :param volts: across its own terminals, V.
    :param hertz: f, Hz.

    Validity: sinusoidal; a loss resistance makes it read 0.1 % low. Source: definition of capacitive reactance. In µF and V
    the factor is 2,653 at 60 Hz and 3,183 at 50 Hz.
    """
    farads = amps.value / (2 * pi * hertz * volts.value)
    share = amps * (1 / amps.value) - volts * (1 / volts.value)  # to first order, what both share included
    return Estimate(farads, (share * farads).contributions)


def capacitor_off_label(case: Case) -> tuple[Finding, ...]:
    """Microfarads out of circuit outside the label's tolerance."""
    plate = case.job.document.nameplate
    label = plate.run_capacitance
    if label is None:
        return ()
    share = tolerance_of(plate)
    read: list[tuple[SetFacts | None, Entry]] = [
        (facts, facts.reading.capacitance) for facts in case.sets if facts.reading.capacitance
    ]
    if case.job.document.checks.capacitance:
        read.append((None, case.job.document.checks.capacitance))
    return tuple(
        found("capacitor_off_label", _off_label(facts, entry, label, share), REPLACE_FIRST, about=facts)
        for facts, entry in read
        if not reads_its_label(entry, label, plate)
    )


def _off_label(facts: SetFacts | None, entry: Entry, label: Entry, share: float) -> Phrase:
    estimate = read_by_meter(entry, "capacitance", "capacitor")
    weak = entry.si < label.si
    bound = (1 - share if weak else 1 + share) * label.si
    doubtful = abs(estimate.value - bound) < estimate.uncertainty
    where = say("capacitor-off-label-in", set=facts.title) if facts else ""
    word = say("capacitor-off-label-weak") if weak else say("capacitor-off-label-over-label")
    return tell(
        "capacitor-off-label-run-capacitor",
        where=where,
        probably=say("capacitor-off-label-probably") if doubtful else "",
        word=word,
        capacitance=figure("capacitance", estimate, "measured"),
        capacitance_2=as_typed("capacitance", label, "plate"),
        share=Number(100 * share, ".0f"),
    )


def capacitor_under_load(case: Case) -> tuple[Finding, ...]:
    """Microfarads worked from amps and volts while running, outside the label's tolerance."""
    plate = case.job.document.nameplate
    label, hertz = plate.run_capacitance, case.plate.frequency_hz
    if label is None or hertz is None:
        return ()
    return tuple(
        finding for facts in case.sets if (finding := _judged_under_load(facts, label, hertz, tolerance_of(plate)))
    )


def _judged_under_load(facts: SetFacts, label: Entry, hertz: float, share: float) -> Finding | None:
    amps, volts = facts.reading.start_current, facts.reading.run_capacitor_volts
    if amps is None or volts is None or volts.si <= 0 or amps.si <= 0:
        return None
    value = capacitance_under_load(
        read_by_meter(amps, "current", "start winding"), read_by_meter(volts, "capacitor_voltage", "capacitor"), hertz
    )
    allowed = hypot(share * label.si, COVERAGE_95 * value.standard)
    if abs(value.value - label.si) <= allowed:
        return None
    sentence: Phrase = tell(
        "capacitor-judged-under-load-running-capacitor",
        set=facts.title,
        capacitance=figure("capacitance", value, "estimated"),
        capacitance_2=as_typed("capacitance", label, "plate"),
    )
    return found("capacitor_under_load", sentence, REPLACE_FIRST, about=facts, evidence=(
        tell("capacitor-judged-under-load-auxiliary-winding", current=as_typed("current", amps, "measured")),
        tell("capacitor-judged-under-load-volts-across", capacitor_voltage=as_typed("capacitor_voltage", volts, "measured")),
    ))  # fmt: skip


def capacitor_overvolted(case: Case) -> tuple[Finding, ...]:
    """More volts across the capacitor than it is made for."""
    rating = case.job.document.nameplate.capacitor_voltage
    if rating is None:
        return ()
    return tuple(
        found(
            "capacitor_overvolted",
            tell(
                "capacitor-overvolted-capacitor-stands",
                set=facts.title,
                capacitor_voltage=as_typed("capacitor_voltage", volts, "measured"),
                capacitor_voltage_2=as_typed("capacitor_voltage", rating, "plate"),
            ),
            say("capacitor-overvolted-fit-one"),
            about=facts,
        )
        for facts in case.sets
        if (volts := facts.reading.run_capacitor_volts)
        and volts.si - read_by_meter(volts, "capacitor_voltage", "capacitor").uncertainty > OVERVOLTS * rating.si
    )


def capacitor_shared(case: Case) -> tuple[Finding, ...]:
    """A capacitor whose other section runs the compressor."""
    if case.job.document.nameplate.shared_capacitor != "yes":
        return ()
    sentence = say("capacitor-shared-run-capacitor")
    return (found("capacitor_shared", (sentence,), say("capacitor-shared-electronic-motor")),)  # fmt: skip
