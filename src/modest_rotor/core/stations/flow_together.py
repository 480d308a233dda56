"""All methods of finding the flow taken together: what is believed, who disagrees, and which reading would narrow it most."""

from __future__ import annotations

import math
from collections.abc import Iterator
from dataclasses import replace

from modest_rotor.core.errors import Refusal
from modest_rotor.core.estimate import COVERAGE_95, Estimate, measured
from modest_rotor.core.identify.next_reading import Measurand
from modest_rotor.core.phrase import Figure, Frozen, Phrase, figure
from modest_rotor.core.physics.fan import MachineType
from modest_rotor.core.say import capital, joined, listed, run_on, say, tell
from modest_rotor.core.stations.flow_method import FlowByMethod, FlowContext, FlowMethod
from modest_rotor.core.stations.motor_fit import MotorFit
from modest_rotor.core.stations.set_facts import SetFacts
from modest_rotor.core.tables import read_table
from modest_rotor.core.working import Result, given, result, waiting

OPENED = 1 / 2
"""Share of the way to a value that disagrees by which the uncertainty is opened. Our judgement, no source."""
MOST_NEXT = 3
LEAST_GAIN = 0.97


STANDS_FOR_MEASURED = (FlowMethod.RISE, FlowMethod.TABLE, FlowMethod.CHART)
"""Methods that are good enough to stand for a measured flow: each rests on the machine's own paper or on metered heat."""


class FlowAnswer(Frozen):
    """The flow by one method, and why it is or is not trusted here."""

    formerly = (("method", "way"),)

    method: FlowMethod
    flow: Result
    trusted: bool
    disagrees: bool
    reason: str


class NextReading(Frozen):
    """A reading that is worth taking: what it narrows, how to take it, and its caution."""

    path: str | None
    what: str
    narrows: str
    how: str
    caution: str
    now: Figure
    then: Figure


class FlowsAnswer(Frozen):
    """The flow of one set by every method, and taken together."""

    formerly = (("methods", "ways"),)

    methods: tuple[FlowAnswer, ...]
    together: Result
    clamp: Phrase | None = None
    next: tuple[NextReading, ...] = ()


def taken_together(methods: tuple[FlowByMethod, ...], context: FlowContext) -> tuple[Result, tuple[FlowMethod, ...]]:
    """The flow that all trusted methods agree on, and the methods that do not go with it.

    Methods that agree within their uncertainties are weighed by them. Where some do not, the most direct is taken, its uncertainty opened half
    the way to the others, and they are named: what contradicts is never averaged away. The rough methods count only where there
    is nothing better; one that is void counts never.

    :returns: m³/s with its working, and the methods that were left out. Source: weighted mean, JCGM 100 (GUM); which methods to
    believe is common practice.
    """
    told = [method for method in methods if method.flow is not None]
    usable = [method for method in told if not (method.objection and method.objection.void)]
    trusted = [method for method in usable if method.objection is None] or usable
    if not trusted:
        return waiting(
            say("flow-together-taken-together-flow-together"), tell("flow-together-taken-together-waits-one")
        ), ()
    first = trusted[0]
    assert first.flow is not None
    against = [method for method in trusted if not _agree(first.flow, method.flow)]
    with_it = [method for method in trusted if method not in against]
    value = _weighed([method.flow for method in with_it if method.flow])
    remarks = [say("flow-together-taken-together-weighed", value=joined(", ", (method.method for method in with_it)))]
    if against:
        value = first.flow
        farthest = max(abs(method.flow.value - value.value) for method in against if method.flow)
        value = value.with_contribution("ways disagree", OPENED * farthest / COVERAGE_95)
        names = listed(method.method for method in against)
        remarks = [say("flow-together-taken-together-taken-does", way=capital(first.method), names=capital(names)), *_why(against)]  # fmt: skip
    ingredients = tuple(
        given(
            "q",
            method.method.label,
            context.quantity,
            method.flow,
            "measured" if method.method is FlowMethod.MEASURED else "estimated",
        )
        for method in trusted
        if method.flow
    )
    source = say("flow-together-taken-together-weighted-mean")
    worked = result(
        say("flow-together-taken-together-flow-together"),
        context.quantity,
        value,
        say("flow-together-taken-together-ways-agree"),
        ingredients,
        source,
        tuple(remarks),
    )
    return worked, tuple(method.method for method in against)


def with_flow(facts: SetFacts, methods: tuple[FlowByMethod, ...]) -> SetFacts:
    """The set with the flow that chart, table or temperature rise tell, where none was measured; as an estimate."""
    sound = [
        method.flow
        for method in methods
        if method.flow and method.objection is None and method.method in STANDS_FOR_MEASURED
    ]
    if facts.flow is not None or not sound or not all(_agree(sound[0], other) for other in sound):
        return facts
    return replace(facts, flow=_weighed(sound), flow_basis="estimated")


def flows_answer(
    facts: SetFacts, methods: tuple[FlowByMethod, ...], context: FlowContext, fit: MotorFit, wanted: Result
) -> FlowsAnswer:
    """The methods of one set for the reader, with the clamp's target and the next best readings."""
    together, against = taken_together(methods, context)
    return FlowsAnswer(
        methods=tuple(
            FlowAnswer(
                method=method.method,
                flow=method.worked,
                trusted=method.flow is not None and method.objection is None,
                disagrees=method.method in against,
                reason=method.objection.words if method.objection else "",
            )
            for method in methods
        ),
        together=together,
        clamp=_clamp(facts, context, wanted),
        next=tuple(sorted(_next(facts, methods, context, fit, together), key=_gain)[:MOST_NEXT]),
    )


def _agree(one: Estimate, other: Estimate | None) -> bool:
    return other is None or abs(one.value - other.value) <= COVERAGE_95 * math.hypot(one.standard, other.standard)


def _weighed(flows: list[Estimate]) -> Estimate:
    weights = [1 / max(flow.standard, 1e-9) ** 2 for flow in flows]
    total = flows[0] * (weights[0] / sum(weights))
    for flow, weight in zip(flows[1:], weights[1:], strict=True):
        total = total + flow * (weight / sum(weights))
    return total


def _why(against: list[FlowByMethod]) -> Iterator[str]:
    words = {
        FlowMethod.CHART: say("flow-together-why-amps-chart"),
        FlowMethod.TABLE: say("flow-together-why-blower-table"),
        FlowMethod.RISE: say("flow-together-why-temperature-rise"),
        FlowMethod.AFFINITY: say("flow-together-why-affinity-law"),
        FlowMethod.CURVE: say("flow-together-why-generic-curve"),
        FlowMethod.CURVE_POWER: say("flow-together-why-generic-curve"),
        FlowMethod.POWER: say("flow-together-why-such-efficiency"),
    }
    yield from (words[method.method] for method in against if method.method in words)


def _clamp(facts: SetFacts, context: FlowContext, wanted: Result) -> Phrase | None:
    """To reach the wanted flow at these volts: the amps that the chart wants, and which way to move the plate."""
    volts, amps = facts.running.voltage, facts.running.current
    if context.amps is None or volts is None or wanted.figure is None or context.machine_type is MachineType.PUMP:
        return None
    flow = wanted.figure.value
    try:
        aim = context.amps.amps(volts.value, flow)
    except Refusal as refusal:
        return tell(
            "flow-together-clamp-chart-does", airflow=figure("airflow", flow, "typed"), refusal=refusal.sentence
        )
    said: Phrase = tell("flow-together-clamp-reach-chart", airflow=figure("airflow", flow, "typed"), voltage=figure("voltage", volts.value, "measured"), current=figure("current", aim, "worked-out"))  # fmt: skip
    if amps is None:
        return tell("flow-together-clamp-x", said=said)
    rising = all(column.rises for column in context.amps.columns)
    if abs(aim - amps.value) <= amps.uncertainty:
        return tell("flow-together-clamp-clamp-reads", said=said)
    if not rising:
        return tell("flow-together-clamp-chart-amps", said=said)
    move = say("flow-together-clamp-open") if aim > amps.value else say("flow-together-clamp-close")
    speed = say("flow-together-clamp-fall") if aim > amps.value else say("flow-together-clamp-rise")
    return run_on(said, say("flow-together-clamp-plate-until", move=move, speed=speed))


def _gain(reading: NextReading) -> float:
    return (reading.then.uncertainty or 0.0) / (reading.now.uncertainty or 1.0)


def _next(
    facts: SetFacts, methods: tuple[FlowByMethod, ...], context: FlowContext, fit: MotorFit, together: Result
) -> Iterator[NextReading]:
    yield from _next_for_load(facts, fit)
    now = together.figure
    missing = {method.method for method in methods if method.flow is None}
    for row in read_table("worth_of_readings"):
        method = FlowMethod(row["method"])
        if method not in missing or (row["machine_type"] == "pump") != (context.machine_type is MachineType.PUMP):
            continue
        if (method is FlowMethod.CHART and context.amps is None) or (
            method is FlowMethod.TABLE and context.table is None
        ):
            continue
        if now is None or not now.value:
            continue
        if row["field"] in facts.reading.out_of_reach:
            continue
        spread, own = (now.uncertainty or 0.0) / COVERAGE_95, float(row["sd"]) * now.value
        then = spread * own / math.hypot(spread, own) if spread else own
        if spread and then > LEAST_GAIN * spread:
            continue
        yield NextReading(
            path=f"readings/{facts.id}/{row['field']}",
            what=row["what"],
            narrows="flow",
            how=row["how"],
            caution=row["caution"],
            now=now,
            then=figure(context.quantity, measured(now.value, then=then), "estimated"),
        )


def _next_for_load(facts: SetFacts, fit: MotorFit) -> Iterator[NextReading]:
    for measurand, (now, then) in fit.worth_of_next(facts.id).items():
        if then.standard > LEAST_GAIN * now.standard or measurand.value in facts.reading.out_of_reach:
            continue
        what, how, caution = LOAD_READINGS[measurand]
        yield NextReading(
            path=f"readings/{facts.id}/{measurand.value}", what=what, narrows="load", how=how, caution=caution,
            now=figure("shaft_power", now, "estimated"), then=figure("shaft_power", then, "estimated"),
        )  # fmt: skip


LIVE = say("flow-together-live")
LOAD_READINGS = {
    Measurand.WATTS: (say("flow-together-load-readings-true-watts"), say("flow-together-load-readings-wattmeter-line"), LIVE),
    Measurand.AMPS: (say("label-line-amps"), say("flow-together-load-readings-one-conductor"), LIVE),
    Measurand.SPEED: (say("word-speed"), say("flow-together-load-readings-tachometer-mark"), say("flow-together-load-readings-keep-hands")),
}  # fmt: skip
