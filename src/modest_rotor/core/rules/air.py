"""The air itself: static against the blower, flow per cooling, temperature rise, flow wanted; and readings that contradict."""

from __future__ import annotations

from collections.abc import Iterator

from modest_rotor.core.assessment import Finding
from modest_rotor.core.phrase import Phrase, as_typed, figure
from modest_rotor.core.physics.fan import MachineType
from modest_rotor.core.rules.case import Case
from modest_rotor.core.rules.chain import short_of_air
from modest_rotor.core.rules.found import found
from modest_rotor.core.say import listed, say, tell
from modest_rotor.core.stations.readings import StaticSpan, title_of
from modest_rotor.core.stations.set_answer import SetAnswer
from modest_rotor.core.stations.set_facts import SetFacts
from modest_rotor.core.stations.target import CFM_PER_TON_SI
from modest_rotor.core.stations.trust import NOT_RUNNING, Standing
from modest_rotor.core.tables import find_row

UNDER_TARGET = 0.90
WHAT_TO_DO = {
    Standing.STALLED: say("air-what-to-do-switch-off"),
    Standing.OFF: say("air-what-to-do-if-should"),
    Standing.WINDMILLING: say("air-what-to-do-brake-wheel"),
    Standing.STANDS: say("air-what-to-do-read-volts"),
}
MOST_DROP_SHARE = 1.10


def reading_withheld(case: Case) -> tuple[Finding, ...]:
    """Readings that are kept but not worked with, because of where or with what they were taken."""
    return tuple(
        found(
            "reading_withheld",
            (say("air-not-worked-with", set=facts.title, fields=listed(dict.fromkeys(title_of(one.field) for one in facts.withheld)), reason=facts.withheld[0].reason),),
            say("air-reading-withheld"),
            about=facts,
        )
        for facts in case.sets
        if facts.withheld and facts.standing is None
    )  # fmt: skip


def machine_stood(case: Case) -> tuple[Finding, ...]:
    """Sets in which the motor stood, was off, or was driven by air or water: what that means, and what to do."""
    return tuple(_stood(facts, facts.standing) for facts in case.sets if facts.standing is not None)


def _stood(facts: SetFacts, state: Standing) -> Finding:
    sentence: Phrase = (say("air-stood", set=facts.title, why=NOT_RUNNING[state]),)
    if state is Standing.STALLED:
        return found("machine_stalled", sentence, WHAT_TO_DO[state], about=facts)
    return found("machine_stood", sentence, WHAT_TO_DO[state], about=facts)


def static_over_rating(case: Case) -> tuple[Finding, ...]:
    """More static than the blower is made for."""
    rated = case.job.document.target.rated_static
    if rated is None or case.machine_type is MachineType.PUMP:
        return ()
    return tuple(
        found(
            "static_over_rating",
            tell("air-static-over-rating-blower-works", set=facts.title, pressure=figure("pressure", facts.pressure, "measured"), pressure_2=as_typed("pressure", rated, "plate")),
            say("air-static-over-rating-repair-first"),
            about=facts,
        )
        for facts in case.sets
        if facts.pressure and not facts.one_sided and facts.pressure.value - facts.pressure.uncertainty > rated.si
    )  # fmt: skip


def flow_per_ton(case: Case) -> tuple[Finding, ...]:
    """Too little or too much air for the cooling that it carries."""
    target = case.job.document.target
    if target.cooling is None or target.system is None or case.machine_type is MachineType.PUMP:
        return ()
    row = find_row("air_per_cooling", system=target.system.value)
    low, high = (float(row[end]) * CFM_PER_TON_SI * target.cooling.si for end in ("low", "high"))
    return tuple(finding for facts, answer in case.answered for finding in _per_ton(facts, answer, low, high, target.cooling.si))  # fmt: skip


def _per_ton(facts: SetFacts, answer: SetAnswer, low: float, high: float, cooling: float) -> Iterator[Finding]:
    flow = answer.flows.together.figure
    if flow is None:
        return
    uncertainty = flow.uncertainty or 0.0
    per = figure("flow_per_cooling", flow.value / cooling)
    if flow.value + uncertainty < low:
        yield found(
            "flow_per_ton_low",
            tell("air-per-ton-cooling-gets", set=facts.title, per=per),
            say("air-per-ton-coil-may"),
            about=facts,
        )
    elif flow.value - uncertainty > high:
        yield found(
            "flow_per_ton_high",
            tell("air-per-ton-cooling-gets-too", set=facts.title, per=per),
            say("air-per-ton-water-may"),
            about=facts,
        )


def flow_under_target(case: Case) -> tuple[Finding, ...]:
    """Less flow than is wanted, beyond the uncertainty. It sends to the chain of checks where there is one, else to the causes."""
    wanted = case.wanted.figure
    if wanted is None:
        return ()
    action = say("air-flow-under-target-follow-way") if short_of_air(case) else say("air-flow-under-target-causes")
    told = []
    for facts, answer in case.answered:
        flow = answer.flows.together.figure
        if flow and facts.on_full_tap and flow.value + (flow.uncertainty or 0.0) < UNDER_TARGET * wanted.value:
            sentence = tell("air-flow-under-target-machine-moves", set=facts.title, flow=flow, model_copy=wanted.model_copy(update={"uncertainty": None}))  # fmt: skip
            told.append(found("flow_under_target", sentence, action, about=facts))
    return tuple(told)


def rise_outside_plate(case: Case) -> tuple[Finding, ...]:
    """A temperature rise outside what the appliance's plate allows."""
    allowed = case.job.document.target.rise
    if allowed is None or case.machine_type is MachineType.PUMP:
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
            word = say("air-rise-outside-plate-above") if rise > high else say("air-rise-outside-plate-below")
            why = say("air-rise-outside-plate-too-little") if rise > high else say("air-rise-outside-plate-too-much")  # fmt: skip
            sentence: Phrase = tell("air-rise-outside-plate-temperature-rise", set=facts.title, temperature_difference=figure("temperature_difference", rise, "measured"), word=word)  # fmt: skip
            told.append(found("rise_outside_plate", sentence, say("air-rise-outside-plate-correct-air", why=why), about=facts))  # fmt: skip
    return tuple(told)


def readings_contradict(case: Case) -> tuple[Finding, ...]:
    """Readings of one set that cannot all be so."""
    return tuple(
        found("readings_contradict", sentence, say("air-readings-contradict"), about=facts)
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
            yield (say("air-contradictions-alone-drops", set=facts.title, part=part),)
    if reading.run_capacitor_volts and facts.running.voltage and 0 < reading.run_capacitor_volts.si < facts.running.voltage.value / 2 and case.plate.run_capacitance_f:  # fmt: skip
        yield (say("air-contradictions-capacitor-stands", set=facts.title),)
    if reading.start_current and facts.running.current and reading.start_current.si > 2 * facts.running.current.value:
        yield (say("air-contradictions-start-winding", set=facts.title),)
    if reading.suction and reading.discharge and reading.discharge.si < reading.suction.si:
        yield (say("air-contradictions-discharge-below", set=facts.title),)
    if reading.shell and reading.air and reading.shell.si < reading.air.si - 5:
        yield (say("air-contradictions-running-motor", set=facts.title),)
