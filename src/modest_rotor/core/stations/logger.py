"""A logger's days made into a year: how much of the time it ran, how often it started, at which loads."""

from __future__ import annotations

import math
from dataclasses import dataclass

import numpy as np
import numpy.typing as npt

from modest_rotor.core.coded import Coded
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import Array
from modest_rotor.core.phrase import Figure, Frozen, figure
from modest_rotor.core.say import Number, say
from modest_rotor.core.stations.duty import HOURS_IN_A_YEAR

Flags = npt.NDArray[np.bool_]
ON_SHARE = 0.15
"""Share of a logger's high values from which a machine counts as running: above standby, below any tap. Our judgement, no source."""
HIGH_PERCENTILE = 95.0
LONGEST_HOLD = 3.0
"""A value stands for at most so many ordinary intervals; longer ones are gaps, of which nothing is known."""
LEAST_COVERED_S, DAY_S, HOUR_S = 3600.0, 86400.0, 3600.0
SEASON_SPREAD = 0.25
"""Standard deviation of a year's run fraction about that of a few days, as a share: seasons. It shrinks as the log covers the
year. Our judgement, no source."""
W_PER_KW = 1000.0
BINS = 40
BARS = 10
LEAST_LEVEL = 0.03
"""Share of the running time below which a level is no step of its own."""
STUDENT = {2: 12.7, 3: 4.30, 4: 3.18, 5: 2.78, 6: 2.57, 7: 2.45}
"""Student's t, 95 % two-sided, by the number of days (days − 1 degrees of freedom)."""
MANY_DAYS_T = 2.2


class LoggedKind(Coded):
    """What the logger wrote."""

    AMPS = "amps"
    WATTS = "watts"
    ON_OFF = "on-off"


class Bar(Frozen):
    """One bar of the histogram: load over the highest, and share of the running time."""

    low: float
    high: float
    share: float


class Level(Frozen):
    """A load at which it ran for a while: hours a year, and its mean over the highest."""

    hours: Figure
    load: float
    spread: float


class LoggedYear(Frozen):
    """What a logger's days say of a year."""

    kind: LoggedKind
    days: float
    covered: float
    run_fraction: Figure
    hours: Figure
    spread: float
    starts_per_hour: Figure
    starts: Figure
    energy: Figure | None = None
    bars: tuple[Bar, ...]
    levels: tuple[Level, ...]


@dataclass(frozen=True)
class Log:
    """A logger's rows in order: seconds from the first, and what was written there.

    :param seconds: growing, shape ``(rows,)``. :param values: A, W, or 0 and 1.
    """

    seconds: Array
    values: Array
    kind: LoggedKind


def logged_year(log: Log) -> LoggedYear:
    """Run fraction, starts and loads of a log, scaled to a year.

    :raises OutsideValidity: under an hour of record, or a machine that never ran.

    Each value is held until the next row, at most three ordinary intervals; what lies beyond is a gap, and counts neither as
    running nor as off. The uncertainty joins how days differ (Student's t) with how little of the year was seen. Source: common
    statistics; thresholds our judgement, no source.
    """
    held = held_seconds(log.seconds)
    covered = float(held.sum())
    if covered < LEAST_COVERED_S:
        raise OutsideValidity(say("logger-logged-year-log-covers", covered=Number(covered / 60, ".0f")))
    high = float(np.percentile(log.values, HIGH_PERCENTILE))
    on = log.values > (0.5 if log.kind is LoggedKind.ON_OFF else ON_SHARE * max(high, float(log.values.max()) / 2))
    running = float(held[on].sum())
    if running <= 0:
        raise OutsideValidity(say("logger-logged-year-machine-never"))
    fraction = running / covered
    spread = _spread(log.seconds, held, on, fraction, covered)
    starts = _starts(log.seconds, on) / (covered / HOUR_S)
    hours = fraction * HOURS_IN_A_YEAR
    return LoggedYear(
        kind=log.kind,
        days=float(log.seconds[-1]) / DAY_S,
        covered=covered / HOUR_S,
        run_fraction=_with_uncertainty("share_of_hours", fraction, spread),
        hours=_with_uncertainty("hours", hours, spread),
        spread=spread,
        starts_per_hour=figure("starts_per_hour", starts),
        energy=_energy(log, held),
        starts=_with_uncertainty("starts", starts * HOURS_IN_A_YEAR, spread),
        bars=_bars(log.values[on], held[on], high),
        levels=_levels(log.values[on], held[on], high, hours, spread) if log.kind is not LoggedKind.ON_OFF else (),
    )


def _energy(log: Log, held: Array) -> Figure | None:
    """Energy over what was covered, kWh; only watts make one."""
    if log.kind is not LoggedKind.WATTS:
        return None
    return figure("energy", float((log.values * held).sum()) / HOUR_S / W_PER_KW, "measured")


def held_seconds(seconds: Array) -> Array:
    """How long each row's value is taken to stand, s; the last as long as an ordinary one.

    :param seconds: times of the rows, s, growing. Source: definition.
    """
    steps = np.diff(seconds)
    ordinary = float(np.median(steps)) if len(steps) else 0.0
    return np.append(np.minimum(steps, LONGEST_HOLD * ordinary), ordinary)


def gaps_of(seconds: Array) -> Array:
    """Lengths of the gaps in a record, s.

    :param seconds: times of the rows, s, growing. Source: our judgement of what is a gap.
    """
    steps = np.diff(seconds)
    return np.asarray(steps[steps > LONGEST_HOLD * np.median(steps)]) if len(steps) else steps


def _with_uncertainty(quantity: str, value: float, spread: float) -> Figure:
    told = figure(quantity, value, "measured")
    return told.model_copy(update={"uncertainty": spread * value})


def _starts(seconds: Array, on: Flags) -> float:
    """Starts seen: off in one row, on in the next, with no gap between."""
    steps = np.diff(seconds)
    close = steps <= LONGEST_HOLD * np.median(steps) if len(steps) else steps > 0
    return float(np.sum(~on[:-1] & on[1:] & close))


def _spread(seconds: Array, held: Array, on: Flags, fraction: float, covered: float) -> float:
    """± of the year's hours at 95 %, as a share."""
    day = (seconds // DAY_S).astype(int)
    known = np.bincount(day, weights=held)
    ran = np.bincount(day, weights=held * on)
    whole = known > DAY_S / 2
    count = int(whole.sum())
    between = 0.5 * fraction
    if count >= 2:
        daily = ran[whole] / known[whole]
        between = STUDENT.get(count, MANY_DAYS_T) * float(daily.std(ddof=1)) / math.sqrt(count)
    unseen = max(1 - covered / HOUR_S / HOURS_IN_A_YEAR, 0.0)
    season = 2 * SEASON_SPREAD * unseen * (1 - fraction)
    return min(math.hypot(between / fraction, season), (1 - fraction) / fraction + 0.01, 1.0)


def _bars(values: Array, held: Array, high: float) -> tuple[Bar, ...]:
    edges = np.linspace(0.0, max(high, float(values.max())), BARS + 1)
    weights, _ = np.histogram(values, edges, weights=held)
    top = edges[-1]
    return tuple(
        Bar(low=float(low / top), high=float(end / top), share=float(weight / held.sum()))
        for low, end, weight in zip(edges[:-1], edges[1:], weights, strict=True)
    )


def _levels(values: Array, held: Array, high: float, hours: float, spread: float) -> tuple[Level, ...]:
    """Loads at which it ran: groups of neighbouring bins of a fine histogram, apart by at least two empty ones."""
    top = max(high, float(values.max()))
    place = np.minimum((values / top * BINS).astype(int), BINS - 1)
    weights = np.bincount(place, weights=held, minlength=BINS) / held.sum()
    groups: list[list[int]] = []
    for filled in np.flatnonzero(weights > LEAST_LEVEL / 4):
        if groups and filled - groups[-1][-1] <= 2:
            groups[-1].append(int(filled))
        else:
            groups.append([int(filled)])
    levels = []
    for group in groups:
        inside = np.isin(place, group)
        share = float(held[inside].sum() / held.sum())
        if share >= LEAST_LEVEL:
            load = float((values[inside] * held[inside]).sum() / held[inside].sum() / top)
            levels.append(Level(hours=_with_uncertainty("hours", share * hours, spread), load=load, spread=spread))
    return tuple(reversed(levels))
