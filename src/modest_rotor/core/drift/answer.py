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
from modest_rotor.core.physics.fan import Wheel, medium_of
from modest_rotor.core.rules.capacitor import tolerance_of

MOST_DRAWN = 240
AS_AT_20 = "as in air of 20 °C"
ORDINARY_WANDER = 0.01
MOST_CAUSES, LEAST_SHARE = 3, 0.05
SOURCE = (
    "Robust lines (Theil–Sen) of every reading on the setting that was read most, against the state at sign-off or the meter's own"
    " first readings; causes are put into the solved machine. Spreads are our judgement, tested on simulated years: optimistic."
)
TITLES = {
    "voltage": "Volts", "current": "Line amps", "input_power": "Input power", "speed": "Speed", "static": "Total external static",
    "airflow": "Airflow", "water_flow": "Water flow", "differential": "Pump differential", "air": "Air", "capacitance": "Run capacitor",
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
    wheel = job.machine.wheel
    fan = wheel is not None and wheel is not Wheel.PUMP
    word = medium_of(wheel).machine if wheel else "fan"
    first = judge(log, references, None, fan) if len(log) else Waiting("waits for readings over time")
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
        frozen=("Every value has stood still to its last digit: the meter or its link is frozen, not the machine.",)
        if frozen
        else (),
        next_day=next_day,
        next_why=next_why,
        rail=drift_rail(told, len(log), capacitor, word),
    )


def _solved(job: Job, machine: FoundMachine | Absent, judged: Judgement) -> tuple[Solved, ...] | Absent:
    healthy = {one.measurand: one.healthy for one in judged.trends}
    setup = machine_since(job, machine, healthy)
    if isinstance(setup, Absent):
        return setup
    wheel = job.machine.wheel
    assert wheel is not None
    try:
        return solve_causes(setup, medium_of(wheel).machine, belted=False)
    except Refusal as refusal:
        return Withheld(refusal.sentence)


def drift_sentence(judged: Judgement, why_no_cause: str, word: str) -> Phrase:
    """What the readings did, and the likeliest cause in the terms of a machine, ``fan`` or ``pump``."""
    if not judged.drifts:
        largest = max(judged.trends, key=lambda one: abs(one.level) / one.sd)
        return (
            f"No drift: of {judged.readings} readings on {judged.setting} none has left what a healthy machine wanders; {largest.measurand} stands at ",
            _moved(largest),
            ".",
        )
    moved = sorted(
        (one for one in judged.trends if abs(one.level) > 2 * one.sd), key=lambda one: -abs(one.level) / one.sd
    )
    pieces: list[str | Figure] = ["It drifts: "]
    for place, one in enumerate(moved[:4]):
        pieces += [", " if place else "", f"{one.measurand} ", "+" if one.level > 0 else "", _moved(one)]
    name, words = _likeliest(judged, word)
    end = (
        f". Likeliest: {name}; {words.rstrip('.')}."
        if name
        else f". No cause is named: {why_no_cause}."
        if why_no_cause
        else "."
    )
    return (*pieces, end)


def _likeliest(judged: Judgement, word: str) -> tuple[str, str]:
    """Name and words of the likeliest cause in the terms of the machine; nothing where none is known."""
    return judged.causes[0].cause.told_on(word)[:2] if judged.causes else ("", "")


def _moved(one: MeasurandTrend) -> Figure:
    change = math.exp(one.level) - 1
    return figure("change", change).model_copy(update={"band": COVERAGE_95 * one.sd, "basis": "estimated"})


def drift_cause(weighed: WeighedCause, word: str) -> DriftCause:
    """A cause in the terms of a machine, with what it would do to every reading."""

    def effect(name: Measurand) -> Phrase:
        expected = math.exp(weighed.expected[name]) - 1
        return (f"{name} ", "+" if expected > 0 else "", figure("change", expected, "estimated"))

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
        band = (reference.bands.get(column) if reference else None) or 0.0
        spread = max(band, COVERAGE_95 * (one.sd if one else ORDINARY_WANDER) * healthy)
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
    plate = job.document.plate
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
        return ("The run capacitor stands at ", now, " of its label: outside its tolerance. Change it.")
    if trend.leaves[1] is None:
        return ("The run capacitor stands at ", now, " of its label and does not fall.")
    return (
        "The run capacitor stands at ",
        now,
        " of its label and loses ",
        figure("change", -trend.slope_a_year, "estimated").model_copy(update={"band": trend.slope_band}),
        " of it a year.",
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
        return today, (f"it drifts: {name}; {words}" if name else "it drifts: find out why",)
    wanted: list[tuple[float, Phrase]] = [(due.day, (due.what,)) for due in dues]
    if capacitor and capacitor.is_out:
        wanted.append((today, ("the run capacitor is outside its tolerance",)))
    elif capacitor and capacitor.leaves[0] is not None:
        wanted.append((capacitor.leaves[0], ("the run capacitor may leave its tolerance",)))
    return min(wanted, key=lambda one: one[0]) if wanted else (None, ())


def drift_rail(told: Judgement | Absent, readings: int, capacitor: CapacitorTrend | None, word: str) -> Phrase:
    """What the rail says of the log."""
    if isinstance(told, Absent) and capacitor is not None:
        return ("run capacitor at ", figure("ratio", capacitor.now, "measured"), " of its label")
    if isinstance(told, Absent):
        return (f"{readings} readings; {told.why}",) if readings else ("waits for readings",)
    if not told.drifts:
        return (f"{readings:,} readings, no drift",)
    return (f"drifts: {_likeliest(told, word)[0] or 'cause not known'}",)
