"""The air itself: static against the blower, flow per cooling, temperature rise, flow wanted; and readings that contradict."""

from __future__ import annotations

from collections.abc import Iterator

from modest_rotor.core.assessment import Finding
from modest_rotor.core.phrase import Phrase, as_typed, figure
from modest_rotor.core.physics.fan import Wheel
from modest_rotor.core.rules.case import Case
from modest_rotor.core.rules.found import found
from modest_rotor.core.stations.readings import StaticSpan
from modest_rotor.core.stations.set_answer import SetAnswer
from modest_rotor.core.stations.set_facts import SetFacts
from modest_rotor.core.stations.target import CFM_PER_TON_SI
from modest_rotor.core.stations.trust import NOT_RUNNING, Standing
from modest_rotor.core.tables import find_row

UNDER_TARGET = 0.90
WHAT_TO_DO = {
    Standing.STALLED: "Switch it off now: a stalled motor burns its winding. Isolate, lock out, prove dead, then turn the wheel by hand.",
    Standing.OFF: "If it should run: follow the way of a dead motor, supply and thermal switch first. Else read the set again while it runs.",
    Standing.WINDMILLING: "Brake the wheel before power is put on it: find out what drives it, a second fan or wind, and stop that first.",
    Standing.STANDS: "Read volts and amps as well: with current it is stalled and must be switched off, without it is off.",
}
MOST_DROP_SHARE = 1.10


def reading_withheld(case: Case) -> tuple[Finding, ...]:
    """Readings that are kept but not worked with, because of where or with what they were taken."""
    return tuple(
        found(
            "reading_withheld",
            (f"In {facts.title} {' and '.join(dict.fromkeys(one.field.replace('_', ' ') for one in facts.withheld))}: {facts.withheld[0].reason}.",),
            "Read it at the motor's own terminals, with a meter made for the waveform.",
            about=facts,
        )
        for facts in case.sets
        if facts.withheld and facts.standing is None
    )  # fmt: skip


def machine_stood(case: Case) -> tuple[Finding, ...]:
    """Sets in which the motor stood, was off, or was driven by air or water: what that means, and what to do."""
    return tuple(_stood(facts, facts.standing) for facts in case.sets if facts.standing is not None)


def _stood(facts: SetFacts, state: Standing) -> Finding:
    sentence: Phrase = (f"In {facts.title} {NOT_RUNNING[state]}.",)
    if state is Standing.STALLED:
        return found("machine_stalled", sentence, WHAT_TO_DO[state], about=facts)
    return found("machine_stood", sentence, WHAT_TO_DO[state], about=facts)


def static_over_rating(case: Case) -> tuple[Finding, ...]:
    """More static than the blower is made for."""
    rated = case.job.document.target.rated_static
    if rated is None or case.wheel is Wheel.PUMP:
        return ()
    return tuple(
        found(
            "static_over_rating",
            (
                f"In {facts.title} the blower works against ", figure("pressure", facts.pressure, "measured"),
                "; it is rated for ", as_typed("pressure", rated, "plate"), ".",
            ),
            "Repair first: filter, coil, closed registers, then the duct. A stronger motor in a tight duct is noise and heat.",
            about=facts,
        )
        for facts in case.sets
        if facts.pressure and not facts.one_sided and facts.pressure.value - facts.pressure.band > rated.si
    )  # fmt: skip


def flow_per_ton(case: Case) -> tuple[Finding, ...]:
    """Too little or too much air for the cooling that it carries."""
    target = case.job.document.target
    if target.cooling is None or target.system is None or case.wheel is Wheel.PUMP:
        return ()
    row = find_row("air_per_cooling", system=target.system.value)
    low, high = (float(row[end]) * CFM_PER_TON_SI * target.cooling.si for end in ("low", "high"))
    return tuple(finding for facts, answer in case.answered for finding in _per_ton(facts, answer, low, high, target.cooling.si))  # fmt: skip


def _per_ton(facts: SetFacts, answer: SetAnswer, low: float, high: float, cooling: float) -> Iterator[Finding]:
    flow = answer.flows.together.figure
    if flow is None:
        return
    band = flow.band or 0.0
    per = figure("flow_per_cooling", flow.value / cooling)
    if flow.value + band < low:
        yield found(
            "flow_per_ton_low",
            (f"In {facts.title} the cooling gets too little air: ", per, "."),
            "A coil may freeze, limits may trip. Repair first: filter, coil, registers, then its speed setting.",
            about=facts,
        )
    elif flow.value - band > high:
        yield found(
            "flow_per_ton_high",
            (f"In {facts.title} the cooling gets too much air: ", per, "."),
            "Water may be carried off the coil, and rooms stay damp. Take a lower speed setting, or close the plate.",
            about=facts,
        )


def flow_under_target(case: Case) -> tuple[Finding, ...]:
    """Less flow than is wanted, beyond the band."""
    wanted = case.wanted.figure
    if wanted is None:
        return ()
    told = []
    for facts, answer in case.answered:
        flow = answer.flows.together.figure
        if flow and facts.on_full_tap and flow.value + (flow.band or 0.0) < UNDER_TARGET * wanted.value:
            sentence = (f"In {facts.title} the machine moves ", flow, "; wanted are ", wanted.model_copy(update={"band": None}), ".")  # fmt: skip
            told.append(found("flow_under_target", sentence, "Follow the way below: open the duct at the unit and read the amps again.", about=facts))  # fmt: skip
    return tuple(told)


def rise_outside_plate(case: Case) -> tuple[Finding, ...]:
    """A temperature rise outside what the appliance's plate allows."""
    allowed = case.job.document.target.rise
    if allowed is None or case.wheel is Wheel.PUMP:
        return ()
    low, high = allowed.low if allowed.low is not None else 0.0, allowed.si
    margin = float(find_row("meter_accuracy", quantity="temperature_difference")["absolute"])
    told = []
    for facts in case.sets:
        entering, leaving = facts.reading.entering, facts.reading.leaving
        if entering is None or leaving is None or leaving.si <= entering.si:
            continue
        rise = leaving.si - entering.si
        if not low - margin <= rise <= high + margin:
            word = "above" if rise > high else "below"
            why = "too little air: limits will trip and the heat exchanger is strained" if rise > high else "too much air: flue gas may condense and rooms feel cold"  # fmt: skip
            sentence: Phrase = (f"In {facts.title} the temperature rise, ", figure("temperature_difference", rise, "measured"), f", is {word} the appliance's plate.")  # fmt: skip
            told.append(found("rise_outside_plate", sentence, f"That is {why}. Correct the air; by those licensed for the appliance.", about=facts))  # fmt: skip
    return tuple(told)


def readings_contradict(case: Case) -> tuple[Finding, ...]:
    """Readings of one set that cannot all be so."""
    return tuple(
        found("readings_contradict", sentence, "Take both again; all readings are kept.", about=facts)
        for facts in case.sets
        for sentence in _contradictions(case, facts)
    )


def _contradictions(case: Case, facts: SetFacts) -> Iterator[Phrase]:
    reading = facts.reading
    for part, drop in (("filter", reading.filter_drop), ("coil", reading.coil_drop)):
        held = reading.statics_hold in (StaticSpan.BOTH, StaticSpan(part))
        inside = reading.statics_hold is not None and not held
        if (
            drop
            and inside
            and facts.pressure
            and not facts.one_sided
            and drop.si > MOST_DROP_SHARE * facts.pressure.value
        ):
            yield (f"In {facts.title} the {part} alone drops more than the whole static across the fan.",)
    if reading.run_capacitor_volts and facts.running.voltage and 0 < reading.run_capacitor_volts.si < facts.running.voltage.value / 2 and case.plate.run_capacitance_f:  # fmt: skip
        yield (
            f"In {facts.title} the capacitor stands at less than half the line volts: a running one stands above them.",
        )
    if reading.start_current and facts.running.current and reading.start_current.si > 2 * facts.running.current.value:
        yield (f"In {facts.title} the start winding takes more than twice the line amps.",)
    if reading.suction and reading.discharge and reading.discharge.si < reading.suction.si:
        yield (
            f"In {facts.title} discharge is below suction: the gauges are exchanged, or the pump runs backwards or not at all.",
        )
    if reading.shell and reading.air and reading.shell.si < reading.air.si - 5:
        yield (f"In {facts.title} a running motor's shell is colder than the air beside it.",)
