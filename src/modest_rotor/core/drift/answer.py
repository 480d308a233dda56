"""What is told of a machine's log: the judgement with its evidence, pictures, the capacitor, and the next visit."""

from __future__ import annotations

import math
from dataclasses import dataclass

import numpy as np

from modest_rotor.core.drift.judge import (
    DENSE,
    CapacitorTrend,
    Judgement,
    MeasurandTrend,
    capacitor_trend,
    corrected,
    frozen_since,
    judge,
)
from modest_rotor.core.drift.log import LOGGED, Log, Reference
from modest_rotor.core.drift.machine import machine_since
from modest_rotor.core.drift.trend import thinned
from modest_rotor.core.errors import Refusal
from modest_rotor.core.estimate import COVERAGE_95
from modest_rotor.core.identify.causes import Solved, WeighedCause, solve_causes
from modest_rotor.core.identify.perturb import Measurand
from modest_rotor.core.job import Job
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.outcome import Absent, Waiting, Withheld
from modest_rotor.core.phrase import Figure, Frozen, Phrase, figure
from modest_rotor.core.physics.fan import MachineType, medium_of
from modest_rotor.core.rules.capacitor import tolerance_of
from modest_rotor.core.say import Number, run_on, say, tell

MOST_DRAWN = 240
AS_AT_20 = say("drift-answer-as-at-20")
ORDINARY_WANDER = 0.01
MOST_CAUSES, LEAST_SHARE = 3, 0.05
SOURCE = say("drift-answer-source")
TITLES = {
    "voltage": say("word-volts"), "current": say("label-line-amps"), "input_power": say("label-input-power"), "speed": say("word-speed"), "static": say("label-total-external-static"),
    "airflow": say("word-airflow"), "water_flow": say("label-water-flow"), "differential": say("label-pump-differential"), "air": say("word-air"), "capacitance": say("label-run-capacitor"),
}  # fmt: skip


class TrendEnd(Frozen):
    """One end of a trend's line: days since 1970, value in SI."""

    day: float
    value: float


class Series(Frozen):
    """One column over time, for drawing: days since 1970 and values in SI, with the healthy state and the trend's two ends."""

    column: str
    title: str
    quantity: str
    note: str = ""
    days: tuple[float, ...]
    values: tuple[float, ...]
    healthy: float | None = None
    healthy_low: float | None = None
    healthy_high: float | None = None
    trend: tuple[TrendEnd, ...] = ()
    moved: bool = False


class DriftCause(Frozen):
    """A cause that may explain the drift."""

    cause: str
    words: str
    share: float
    repair: bool
    effects: tuple[Phrase, ...]


class Leaves(Frozen):
    """When the run capacitor leaves its tolerance if it goes on losing as it has: days since 1970; the latest may be never."""

    earliest: float
    likely: float
    latest: float | None


class LogAnswer(Frozen):
    """The log of a machine as it is told."""

    readings: int
    waits: str | None
    drifts: bool
    sentence: Phrase
    since_day: float | None
    setting: str | None
    source: str | None
    series: tuple[Series, ...]
    causes: tuple[DriftCause, ...]
    capacitor: Phrase
    leaves: Leaves | None
    frozen: Phrase
    next_day: float | None
    next_why: Phrase
    rail: Phrase
    source_words: str = SOURCE


@dataclass(frozen=True)
class Due:
    """When something is due by the calendar: days since 1970, and what."""

    day: float
    what: str


def log_answer(
    log: Log,
    job: Job,
    machine: FoundMachine | Absent,
    references: tuple[Reference, ...],
    dues: tuple[Due, ...],
    today: float,
) -> LogAnswer:
    """Everything told of a machine's log.

    :param machine: as signed off, put right. :param references: its state at sign-off. :param dues: services due by the calendar.
    :param today: days since 1970.
    """
    machine_type = job.machine.type
    fan = machine_type is not None and machine_type is not MachineType.PUMP
    word = medium_of(machine_type).machine if machine_type else "fan"
    first = judge(log, references, None, fan) if len(log) else Waiting(say("drift-answer-log-answer-waits-readings"))
    told = first
    why_no_cause = ""
    if isinstance(first, Judgement) and first.drifts:
        solved = _solved(job, machine, first)
        if isinstance(solved, Absent):
            why_no_cause = solved.why
        else:
            told = judge(log, references, solved, fan)
    capacitor = _capacitor(job, log)
    frozen = frozen_since(log) if len(log) else None
    judged = told if isinstance(told, Judgement) else None
    next_day, next_why = next_visit(judged, capacitor, dues, today, word)
    return LogAnswer(
        readings=len(log),
        waits=told.why if isinstance(told, Absent) else None,
        drifts=bool(judged and judged.drifts),
        sentence=drift_sentence(told, why_no_cause, word) if isinstance(told, Judgement) else (told.why,),
        since_day=judged.since if judged else None,
        setting=judged.setting if judged else None,
        source=judged.source if judged else None,
        series=_series(log, judged, references, fan),
        causes=tuple(
            drift_cause(weighed, word)
            for weighed in (judged.causes if judged else ())[:MOST_CAUSES]
            if weighed.share >= LEAST_SHARE
        ),
        capacitor=_capacitor_words(capacitor),
        leaves=_leaves(capacitor),
        frozen=(say("drift-answer-log-answer-every-value"),) if frozen else (),
        next_day=next_day,
        next_why=next_why,
        rail=drift_rail(told, len(log), capacitor, word),
    )


def _solved(job: Job, machine: FoundMachine | Absent, judged: Judgement) -> tuple[Solved, ...] | Absent:
    healthy = {one.measurand: one.healthy for one in judged.trends}
    setup = machine_since(job, machine, healthy)
    if isinstance(setup, Absent):
        return setup
    machine_type = job.machine.type
    assert machine_type is not None
    try:
        return solve_causes(setup, medium_of(machine_type).machine, belted=False)
    except Refusal as refusal:
        return Withheld(refusal.sentence)


def drift_sentence(judged: Judgement, why_no_cause: str, word: str) -> Phrase:
    """What the readings did, and the likeliest cause in the terms of a machine, ``fan`` or ``pump``."""
    if not judged.drifts:
        largest = max(judged.trends, key=lambda one: abs(one.level) / one.sd)
        return tell(
            "drift-answer-drift-sentence-drift-readings",
            readings=judged.readings,
            setting=judged.setting,
            measurand=largest.measurand,
            moved=_moved(largest),
        )
    moved = sorted(
        (one for one in judged.trends if abs(one.level) > 2 * one.sd), key=lambda one: -abs(one.level) / one.sd
    )
    pieces: list[str | Figure] = [say("drift-answer-drift-sentence-drifts")]
    for place, one in enumerate(moved[:4]):
        pieces += [", " if place else "", one.measurand.label, " ", "+" if one.level > 0 else "", _moved(one)]
    name, words = _likeliest(judged, word)
    end = (
        say("drift-answer-drift-sentence-likeliest", name=name, rstrip=words.rstrip("."))
        if name
        else say("drift-answer-drift-sentence-cause-named", why_no_cause=why_no_cause)
        if why_no_cause
        else "."
    )
    return run_on(*pieces, end)


def _likeliest(judged: Judgement, word: str) -> tuple[str, str]:
    """Name and words of the likeliest cause in the terms of the machine; nothing where none is known."""
    return judged.causes[0].cause.told_on(word)[:2] if judged.causes else ("", "")


def _moved(one: MeasurandTrend) -> Figure:
    change = math.exp(one.level) - 1
    return figure("change", change).model_copy(update={"uncertainty": COVERAGE_95 * one.sd, "basis": "estimated"})


def drift_cause(weighed: WeighedCause, word: str) -> DriftCause:
    """A cause in the terms of a machine, with what it would do to every reading."""

    def effect(name: Measurand) -> Phrase:
        expected = math.exp(weighed.expected[name]) - 1
        return tell(
            "drift-answer-effect",
            name=name,
            expected="+" if expected > 0 else "",
            change=figure("change", expected, "estimated"),
        )

    name, words, _ = weighed.cause.told_on(word)
    return DriftCause(
        cause=name,
        words=words,
        share=weighed.share,
        repair=weighed.cause.repair,
        effects=tuple(effect(name) for name in weighed.expected if abs(weighed.expected[name]) > 0.003),
    )


def _series(log: Log, judged: Judgement | None, references: tuple[Reference, ...], fan: bool) -> tuple[Series, ...]:
    """Every column that was read, on the setting that was judged, thinned for drawing."""
    if not len(log):
        return ()
    setting = judged.setting if judged else log.settings[-1]
    here = log.chosen(np.array([one == setting for one in log.settings]))
    reference = next((one for one in references if one.setting == setting), None)
    told = []
    for column, quantity in LOGGED.items():
        if column not in here.columns or not np.isfinite(here.columns[column]).any():
            continue
        values = corrected(column, here, fan)
        sound = np.isfinite(values)
        days, shown = thinned(here.days[sound], values[sound], MOST_DRAWN)
        trend = next((one for one in judged.trends if one.column == column), None) if judged else None
        one = _one_series(column, quantity, days.tolist(), shown.tolist(), trend, reference)
        is_dense = fan and column in DENSE and "air" in here.columns
        told.append(one.model_copy(update={"note": AS_AT_20}) if is_dense else one)
    return tuple(told)


def _one_series(
    column: str,
    quantity: str,
    days: list[float],
    values: list[float],
    one: MeasurandTrend | None,
    reference: Reference | None,
) -> Series:
    healthy = one.healthy if one else reference.values.get(column) if reference else None
    spread = None
    if healthy is not None:
        uncertainty = (reference.uncertainties.get(column) if reference else None) or 0.0
        spread = max(uncertainty, COVERAGE_95 * (one.sd if one else ORDINARY_WANDER) * healthy)
    line: tuple[TrendEnd, ...] = ()
    if one:
        line = tuple(
            TrendEnd(day=day, value=one.healthy * math.exp(one.trend.at(day)))
            for day in (max(one.days[0], one.trend.start), one.days[1])
        )
    return Series(
        column=column,
        title=TITLES[column],
        quantity=quantity,
        days=tuple(round(day, 3) for day in days),
        values=tuple(float(f"{value:.5g}") for value in values),
        healthy=healthy,
        healthy_low=healthy - spread if healthy is not None and spread is not None else None,
        healthy_high=healthy + spread if healthy is not None and spread is not None else None,
        trend=line,
        moved=bool(one and abs(one.level) > 2 * one.sd),
    )


def _capacitor(job: Job, log: Log) -> CapacitorTrend | None:
    plate = job.document.nameplate
    label = plate.run_capacitance
    return capacitor_trend(log, label.si, tolerance_of(plate)) if label and len(log) else None


def _leaves(trend: CapacitorTrend | None) -> Leaves | None:
    if trend is None or trend.is_out:
        return None
    earliest, likely, latest = trend.leaves
    return (
        Leaves(earliest=earliest, likely=likely, latest=latest) if earliest is not None and likely is not None else None
    )


def _capacitor_words(trend: CapacitorTrend | None) -> Phrase:
    if trend is None:
        return ()
    now = figure("ratio", trend.now, "measured")
    if trend.is_out:
        return tell("drift-answer-capacitor-words-run-capacitor", now=now)
    if trend.leaves[1] is None:
        return tell("drift-answer-capacitor-words-run-capacitor-stands", now=now)
    return tell(
        "drift-answer-capacitor-words-run-capacitor-stands-label",
        now=now,
        model_copy=figure("change", -trend.slope_a_year, "estimated").model_copy(
            update={"uncertainty": trend.slope_uncertainty}
        ),
    )


def next_visit(
    judged: Judgement | None, capacitor: CapacitorTrend | None, dues: tuple[Due, ...], today: float, word: str
) -> tuple[float | None, Phrase]:
    """The next visit: what drifts is due now, else what leaves its tolerance or is due by the calendar first.

    :param today: day since 1970. :param dues: what the calendar asks for, days. :param word: ``fan`` or ``pump``. :returns:
    the day, and why. Source: common practice, no source.
    """
    if judged and judged.drifts:
        name, words = _likeliest(judged, word)
        return today, (
            say("drift-answer-next-visit-drifts", name=name, words=words)
            if name
            else say("drift-answer-next-visit-drifts-find"),
        )
    wanted: list[tuple[float, Phrase]] = [(due.day, (due.what,)) for due in dues]
    if capacitor and capacitor.is_out:
        wanted.append((today, (say("drift-answer-next-visit-run-capacitor"),)))
    elif capacitor and capacitor.leaves[0] is not None:
        wanted.append((capacitor.leaves[0], (say("drift-answer-next-visit-run-capacitor-may"),)))
    return min(wanted, key=lambda one: one[0]) if wanted else (None, ())


def drift_rail(told: Judgement | Absent, readings: int, capacitor: CapacitorTrend | None, word: str) -> Phrase:
    """What the rail says of the log."""
    if isinstance(told, Absent) and capacitor is not None:
        return tell("drift-answer-drift-rail-run-capacitor", ratio=figure("ratio", capacitor.now, "measured"))
    if isinstance(told, Absent):
        return (
            (say("drift-answer-drift-rail-readings", readings=readings, why=told.why),)
            if readings
            else (say("term-waits-for-readings"),)
        )
    if not told.drifts:
        return (say("drift-answer-drift-rail-readings-drift", readings=Number(readings, ",")),)
    return (
        say(
            "drift-answer-drift-rail-drifts",
            likeliest=_likeliest(told, word)[0] or say("drift-answer-drift-rail-cause-known"),
        ),
    )
