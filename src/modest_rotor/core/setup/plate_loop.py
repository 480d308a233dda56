"""A restrictor plate, damper or sheave as a setting like another: which way it goes, until the clamp or the flow says enough.

A fan that runs at one speed is set by what stands in its way. It cannot be reached only when that stands wide open; then the
duct is taken off at the unit, and the amps tell whether duct or motor holds the air back.
"""

from __future__ import annotations

from dataclasses import dataclass

from modest_rotor.core.errors import Refusal
from modest_rotor.core.estimate import COVERAGE_95, Estimate
from modest_rotor.core.identify.causes import REPEATS
from modest_rotor.core.identify.meters import read_by_meter
from modest_rotor.core.identify.perturb import Measurand
from modest_rotor.core.options.traits import SetBy
from modest_rotor.core.phrase import Figure, Phrase, figure
from modest_rotor.core.physics.fan import MachineType
from modest_rotor.core.say import say, tell
from modest_rotor.core.setup.balancing import Outcome
from modest_rotor.core.setup.facts import SetupFacts
from modest_rotor.core.stations.charts import amps_chart, readable
from modest_rotor.core.stations.setup import Opening, Trial

LEAST_CLIMB = COVERAGE_95 * 2**0.5 * REPEATS[Measurand.AMPS]
"""Share by which amps must rise to have climbed: two readings of one clamp on an unchanged machine differ by less."""
SLOPE_STEP = 0.05
"""Share of a flow on either side at which the chart is asked which way its amps go."""


@dataclass(frozen=True)
class Aim:
    """The amps at which a flow is reached, at volts; and whether amps rise with air on this chart."""

    amps: float
    volts: float
    rises: bool


@dataclass(frozen=True)
class PlateAdvice:
    """What to do next with the plate."""

    outcome: Outcome
    sentence: Phrase
    proved: bool = False


def is_set_by_plate(facts: SetupFacts) -> bool:
    """Whether nothing but what stands in the way sets its flow: a fan or pump at one speed that holds nothing by itself."""
    return facts.traits.set_by is SetBy.LINE


def aim_at(facts: SetupFacts, flow_m3s: float) -> Aim | None:
    """The clamp's aim for a flow, off the machine's chart at the volts measured; nothing without a chart that reaches it."""
    document = facts.job.document
    chart = readable(amps_chart, document.charts) if document.charts.amps_chart else None
    volts = document.setup.first_volts.si if document.setup.first_volts else facts.machine.volts.value
    if chart is None or not volts or facts.on_drive or "electronic" in facts.features:
        return None
    try:
        aim = chart.amps(volts, flow_m3s)
        slope = chart.amps(volts, flow_m3s) - chart.amps(volts, (1 - SLOPE_STEP) * flow_m3s)
    except Refusal:
        return None
    return Aim(aim, volts, slope > 0)


def plate_advice(
    facts: SetupFacts, trials: tuple[Trial, ...], flows: tuple[Estimate | None, ...], wanted: Figure
) -> PlateAdvice:
    """Which way the plate goes next.

    :param trials: those of this duty step, in order. :param flows: what each of them says of the flow, m³/s.

    Source: common practice; the amps of a fan motor follow its air as its chart says.
    """
    aim = aim_at(facts, wanted.value)
    told = _aimed(aim, wanted)
    running = [
        (trial, flow)
        for trial, flow in zip(trials, flows, strict=True)
        if trial.opening is not Opening.DUCT_OFF and flow
    ]
    if not running:
        return PlateAdvice(Outcome.BEGIN, tell("plate-loop-plate-advice-open-plate", told=told))
    last, flow = running[-1]
    assert flow is not None
    error = flow.value / wanted.value - 1
    read: Phrase = tell(
        "plate-loop-plate-advice-read-wanted", figure=figure(wanted.quantity, flow, "measured"), wanted=wanted
    )
    if abs(error) <= facts.tolerance:
        proved = abs(error) + flow.uncertainty / wanted.value <= facts.tolerance
        rest = "" if proved else say("plate-loop-plate-advice-reading-s")
        return PlateAdvice(Outcome.INSIDE, (*read, say("plate-loop-plate-advice-inside-fix", rest=rest)), proved)
    if error > 0:
        return PlateAdvice(Outcome.AGAIN, tell("plate-loop-plate-advice-close-plate", read=read, told=told))
    if last.opening is not Opening.WIDE_OPEN:
        return PlateAdvice(Outcome.AGAIN, tell("plate-loop-plate-advice-open-further", read=read, told=told))
    return _wide_open(facts, trials, last, read)


def _aimed(aim: Aim | None, wanted: Figure) -> Phrase:
    if aim is None:
        return tell("plate-loop-aimed-flow", wanted=wanted)
    way = "" if aim.rises else say("plate-loop-aimed-chart-amps")
    return tell("plate-loop-aimed-clamp-reads", current=figure("current", aim.amps, "worked-out"), voltage=figure("voltage", aim.volts, "measured"), way=way)  # fmt: skip


def _wide_open(facts: SetupFacts, trials: tuple[Trial, ...], last: Trial, read: Phrase) -> PlateAdvice:
    """Wide open and short of air: with the duct off at the unit, do the amps climb?"""
    off = next((trial for trial in trials if trial.opening is Opening.DUCT_OFF and trial.current), None)
    if off is None or last.current is None or off.current is None:
        return PlateAdvice(
            Outcome.AGAIN,
            (*read, say("plate-loop-wide-open-stands-wide")),
        )  # fmt: skip
    accuracies = facts.job.document.meters.accuracies
    now, before = (read_by_meter(entry, "current", "clamp", accuracies) for entry in (off.current, last.current))
    step = now - before
    climbs: Phrase = tell(
        "plate-loop-wide-open-from-to",
        current=figure("current", before, "measured"),
        current_2=figure("current", now, "measured"),
    )
    if step.value > max(step.uncertainty, LEAST_CLIMB * before.value):
        return PlateAdvice(
            Outcome.CANNOT, tell("plate-loop-wide-open-cannot-reached", read=read, climbs=climbs)
        )  # fmt: skip
    plate = facts.job.document.nameplate
    first = (
        say("plate-loop-wide-open-capacitor-then")
        if plate.run_capacitance is not None
        else say("plate-loop-wide-open-volts-then")
    )
    what = (
        say("plate-loop-wide-open-pump")
        if facts.machine.machine_type is MachineType.PUMP
        else say("plate-loop-wide-open-motor")
    )
    return PlateAdvice(
        Outcome.CANNOT, tell("plate-loop-wide-open-cannot-reached-amps", read=read, climbs=climbs, what=what, first=first)
    )  # fmt: skip
