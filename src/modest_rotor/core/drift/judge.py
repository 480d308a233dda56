"""Whether a machine drifts, since when, and what explains it: trends of all readings at once against the solved machine."""

from __future__ import annotations

import math
from dataclasses import dataclass

import numpy as np

from modest_rotor.core.drift.log import MEASURAND_OF, Log, Reference, last_reset
from modest_rotor.core.drift.trend import Trend, bent_trend, robust_trend, thinned
from modest_rotor.core.estimate import Array
from modest_rotor.core.identify.causes import REPEATS, Observed, Solved, WeighedCause, rank_causes
from modest_rotor.core.identify.perturb import Measurand
from modest_rotor.core.outcome import Absent, Waiting
from modest_rotor.core.say import say

FEWEST_READINGS = 5
FIRST_SHARE, FEWEST_FIRST = 0.08, 5
"""Share of the readings of one meter, and their least number, that stand for the healthy state as that meter shows it."""
MOST_JUDGED = 150
"""Points of a reading's line: more would only take longer."""
MANY = 40
"""Readings by one meter from which on its own first ones are the baseline, and not the sign-off by other meters."""
WANDER = {
    Measurand.FLOW: 0.012,
    Measurand.PRESSURE: 0.012,
    Measurand.WATTS: 0.008,
    Measurand.AMPS: 0.008,
    Measurand.VOLTS: 0.008,
    Measurand.SPEED: 0.0012,
}
"""How far a healthy machine's reading wanders over months, standard deviation of its logarithm. Our judgement, no source."""
CHI_SQUARED = (10.83, 13.82, 16.27, 18.47, 20.52, 22.46, 24.32, 26.12)
"""Sums of squares that one in a thousand healthy machines exceeds, for one reading to eight: tables of chi-squared."""
LEAST_MOVE = 0.03
"""Least move of any reading but speed that is called drift, as a share. Our judgement, no source."""
LEAST_SPEED_MOVE = 0.006
KELVIN, MIDDLE_K = 273.15, 293.15
DENSE = ("input_power", "static", "current")
"""Columns that follow the density of air on a fan."""


@dataclass(frozen=True)
class MeasurandTrend:
    """One reading on one setting: its line in logarithms of the ratio to the healthy state, and how sure its end is."""

    column: str
    measurand: Measurand
    trend: Trend
    level: float
    sd: float
    healthy: float
    days: tuple[float, float]


@dataclass(frozen=True)
class Judgement:
    """What the log says of one machine.

    :param drifts: whether the readings have moved together beyond what healthy machines do.
    :param since: day from which on, as the lines tell it. :param causes: what explains it, the likeliest first.
    """

    setting: str
    source: str
    trends: tuple[MeasurandTrend, ...]
    drifts: bool
    since: float | None
    causes: tuple[WeighedCause, ...]
    readings: int


def judge(
    log: Log, references: tuple[Reference, ...], solved: tuple[Solved, ...] | None, fan: bool
) -> Judgement | Absent:
    """Whether a machine drifts since its last service, by the setting and meter that tell most.

    :param log: the machine's readings. :param references: its state at sign-off, a setting each; may be empty.
    :param solved: the causes put into the machine; ``None`` where it could not be solved.
    :param fan: whether air is moved, whose density is taken out where its temperature was read.
    :returns: the judgement, or the sentence that says what it waits for.

    The level of each reading is the end of its robust line; their squares over what healthy machines wander are added. Source:
    Theil–Sen lines; sum of squares against chi-squared; spreads our judgement, no source.
    """
    start = last_reset(log.events, "air")
    groups = _groups(log)
    if not groups:
        return Waiting(say("judge-waits-readings", fewest_readings=FEWEST_READINGS))
    setting, source = max(groups, key=lambda key: int(groups[key].sum()))
    whole = log.chosen(groups[setting, source])
    recent = whole.chosen(whole.days >= start) if start is not None else whole
    if len(recent) < FEWEST_READINGS:
        return Waiting(say("judge-waits-readings-since", fewest_readings=FEWEST_READINGS))
    reference = next((one for one in references if one.setting == setting), None)
    trends = tuple(
        found for column in MEASURAND_OF if (found := _measurand(column, whole, recent, reference, fan)) is not None
    )
    if not trends:
        return Waiting(say("judge-waits-readings-one", fewest_readings=FEWEST_READINGS))
    observed = {one.measurand: Observed(one.level, one.sd) for one in trends}
    total = sum((one.level / one.sd) ** 2 for one in trends)
    moved = any(
        abs(one.level) > (LEAST_SPEED_MOVE if one.measurand is Measurand.SPEED else LEAST_MOVE) for one in trends
    )
    drifts = moved and total > CHI_SQUARED[min(len(trends), len(CHI_SQUARED)) - 1]
    causes = rank_causes(solved, observed) if solved is not None and drifts else ()
    since = min((day for one in trends if (day := _since(one)) is not None), default=None) if drifts else None
    return Judgement(setting, source, trends, drifts, since, causes, len(recent))


def _groups(log: Log) -> dict[tuple[str, str], np.ndarray]:
    settings, sources = np.array(log.settings), np.array(log.sources)
    found = {}
    for setting in dict.fromkeys(log.settings):
        for source in dict.fromkeys(log.sources):
            here = (settings == setting) & (sources == source)
            if here.sum() >= FEWEST_READINGS:
                found[setting, source] = here
    return found


def corrected(column: str, log: Log, fan: bool) -> Array:
    """A column with the density of air taken out, where its temperature was read: what it would show at 20 °C.

    :param column: of the log, in its unit. :param fan: whether air is moved; of a pump nothing is corrected. Source: fan
    laws, AMCA 201: pressure and power go with density.
    """
    values = log.columns[column]
    air = log.columns.get("air")
    if not fan or column not in DENSE or air is None:
        return values
    ratio = np.where(np.isnan(air), 1.0, (air + KELVIN) / MIDDLE_K)
    return np.asarray(values * ratio)


def _measurand(column: str, whole: Log, recent: Log, reference: Reference | None, fan: bool) -> MeasurandTrend | None:
    if column not in recent.columns:
        return None
    values = corrected(column, recent, fan)
    sound = np.isfinite(values) & (values > 0)
    if sound.sum() < FEWEST_READINGS:
        return None
    healthy, healthy_sd = _healthy(column, whole, reference, fan)
    if healthy is None:
        return None
    time, ratio = thinned(recent.days[sound], np.log(values[sound] / healthy), MOST_JUDGED)
    if len(time) < FEWEST_READINGS or np.ptp(time) <= 0:
        return None
    trend = bent_trend(time, ratio)
    measurand = MEASURAND_OF[column]
    level = trend.at(float(time[-1]))
    sd = math.hypot(math.hypot(trend.end_sd, healthy_sd), WANDER[measurand])
    return MeasurandTrend(column, measurand, trend, level, sd, healthy, (float(time[0]), float(time[-1])))


def _healthy(column: str, whole: Log, reference: Reference | None, fan: bool) -> tuple[float | None, float]:
    """The value that stands for the healthy state, and its standard deviation as a share.

    Where one meter read often, its own first readings, since what it is off falls out then; else the state at sign-off.
    """
    values = corrected(column, whole, fan)
    after = whole.days >= reference.day if reference and reference.day is not None else np.ones(len(whole), bool)
    sound = np.isfinite(values) & (values > 0) & after
    if sound.sum() >= MANY or reference is None or column not in reference.values:
        first = max(int(FIRST_SHARE * sound.sum()), FEWEST_FIRST)
        chosen = values[sound][:first]
        if len(chosen) < FEWEST_FIRST and sound.sum() < FEWEST_READINGS:
            return None, 0.0
        middle = float(np.median(chosen))
        spread = float(np.median(np.abs(np.log(chosen / middle)))) * 1.4826
        return middle, 1.25 * max(spread, REPEATS[MEASURAND_OF[column]]) / math.sqrt(len(chosen))
    value = reference.values[column]
    return value, reference.uncertainties.get(column, 0.0) / 1.96 / value


def _since(one: MeasurandTrend) -> float | None:
    """The day on which a reading's line leaves twice what healthy machines wander."""
    least = 2 * one.sd
    if abs(one.level) <= least or one.trend.slope == 0:
        return None
    edge = math.copysign(least, one.level)
    day = (edge - one.trend.intercept) / one.trend.slope
    return min(max(day, one.days[0], one.trend.start), one.days[1])


@dataclass(frozen=True)
class CapacitorTrend:
    """The run capacitor over time: share of its label now, and the days at which it leaves its tolerance (earliest, likely, latest)."""

    now: float
    slope_a_year: float
    slope_uncertainty: float
    leaves: tuple[float | None, float | None, float | None]
    is_out: bool


DAYS_A_YEAR = 365.25


def capacitor_trend(log: Log, label_f: float, tolerance: float) -> CapacitorTrend | None:
    """When the run capacitor will leave its tolerance; nothing where it was read fewer than four times since it was changed.

    :param label_f: on its label, F. :param tolerance: share below the label at which it is weak.

    Validity: it goes on losing as it has. Source: Theil–Sen line and its interval; 5 to 6 % is printed on most. Common practice.
    """
    values = log.columns.get("capacitance")
    if values is None:
        return None
    start = last_reset(log.events, "capacitor")
    here = np.isfinite(values) & (values > 0) & (log.days >= (start if start is not None else -math.inf))
    if here.sum() < 4 or np.ptp(log.days[here]) <= 0:
        return None
    time, share = thinned(log.days[here], values[here] / label_f)
    trend = robust_trend(time, share)
    end = float(time[-1])
    now, edge = trend.at(end), 1 - tolerance

    def leaving(slope: float) -> float | None:
        return end + (edge - now) / slope if slope < 0 else None

    days = (leaving(trend.slope_low), leaving(trend.slope), leaving(trend.slope_high))
    uncertainty = (trend.slope_high - trend.slope_low) / 2 * DAYS_A_YEAR
    return CapacitorTrend(now, trend.slope * DAYS_A_YEAR, uncertainty, days, now < edge)


def frozen_since(log: Log, least: int = 12) -> float | None:
    """The day since which every value of the newest meter has stood still to its last digit: a frozen meter, not a machine.

    Source: no real reading repeats to its last digit a dozen times. Common practice.
    """
    if len(log) < least or not log.columns:
        return None
    same = np.ones(len(log), bool)
    for column in log.columns.values():
        last = column[-1]
        same &= (column == last) if np.isfinite(last) else np.isnan(column)
    run = len(log) - (np.flatnonzero(~same)[-1] + 1 if (~same).any() else 0)
    return float(log.days[len(log) - run]) if run >= least else None
