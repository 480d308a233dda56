"""A robust trend: the line through the medians of all pairs, which a few wild readings do not move."""

from __future__ import annotations

import math
from dataclasses import dataclass, replace

import numpy as np

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import COVERAGE_95, Array
from modest_rotor.core.say import say

FEWEST = 4
MOST_POINTS = 240
"""Points beyond which neighbours are put together by their medians; pairs grow with the square."""
NORMAL_FROM_MAD = 1.4826
END_OF_LINE = 2.0
"""Standard deviation of a fitted line at its end over that of a mean of the same points, evenly spaced: textbook regression."""
BENDS = (0.15, 0.25, 0.35, 0.45, 0.55, 0.65, 0.75)
"""Shares of the time at which a trend may begin."""
BETTER = 0.9
"""Share of one line's residuals below which a bend is believed. Our judgement, no source."""
EFFICIENCY = 1.06
"""Standard deviation of this slope over that of least squares on normal errors: 1/√0.955 is 1.02, with a margin."""


@dataclass(frozen=True)
class Trend:
    """A line y = intercept + slope × t, with the 95 % interval of its slope and the scatter of points about it.

    ``start`` is the time from which on it holds, where it was found to begin later than the readings.
    """

    slope: float
    intercept: float
    slope_low: float
    slope_high: float
    scatter: float
    count: int
    start: float = -math.inf

    def at(self, time: float) -> float:
        """The line at a time. Source: definition."""
        return self.intercept + self.slope * time

    @property
    def end_sd(self) -> float:
        """Standard deviation of the line at its last point. Source: regression on evenly spaced points, textbooks."""
        return END_OF_LINE * EFFICIENCY * self.scatter / math.sqrt(self.count)


def robust_trend(time: Array, value: Array, confidence_z: float = COVERAGE_95) -> Trend:
    """The median of the slopes between all pairs, and the line of that slope through the medians.

    :param time: of the readings, rising or not, shape ``(n,)``. :param value: shape ``(n,)``.
    :param confidence_z: standard deviations of the slope's interval.
    :raises OutsideValidity: fewer than four readings, or all at one time.

    Validity: up to about 29 % of wild readings do not move the line. Source: Theil (1950) and Sen (1968), Journal of the
    American Statistical Association 63, with ties as there.
    """
    if len(time) < FEWEST or np.ptp(time) <= 0:
        raise OutsideValidity(say("trend-robust-trend", fewest=FEWEST, time=len(time)))
    later, earlier = np.triu_indices(len(time), 1)[::-1]
    dt = time[later] - time[earlier]
    apart = dt != 0
    slopes = np.sort((value[later] - value[earlier])[apart] / dt[apart])
    slope = float(np.median(slopes))
    intercept = float(np.median(value) - slope * np.median(time))
    low, high = _interval(slopes, time, value, confidence_z)
    rest = value - (intercept + slope * time)
    scatter = NORMAL_FROM_MAD * float(np.median(np.abs(rest - np.median(rest))))
    return Trend(slope, intercept, low, high, scatter, len(time))


def bent_trend(time: Array, value: Array) -> Trend:
    """The line since the trend began: flat before, a robust line after, the bend where both together lie nearest the readings.

    Parameters, errors as :func:`robust_trend`; times rise. A bend is taken only where it clearly explains more than one line.

    Source: Theil–Sen lines on both sides of a bend, chosen by the sum of absolute residuals; our own method, no source.
    """
    whole = robust_trend(time, value)
    least = BETTER * float(np.abs(value - whole.intercept - whole.slope * time).sum())
    best = whole
    for share in BENDS:
        bend = time[0] + share * (time[-1] - time[0])
        later = time >= bend
        if later.sum() < FEWEST or (~later).sum() < FEWEST or np.ptp(time[later]) <= 0:
            continue
        line = robust_trend(time[later], value[later])
        flat = np.abs(value[~later] - np.median(value[~later])).sum()
        missed = float(flat + np.abs(value[later] - line.intercept - line.slope * time[later]).sum())
        if missed < least:
            least, best = missed, replace(line, start=float(bend))
    return best


def _interval(slopes: Array, time: Array, value: Array, z: float) -> tuple[float, float]:
    """Ranks of the slopes between which the true one lies, by the variance of Kendall's statistic with ties."""
    count = len(time)
    variance = (count * (count - 1) * (2 * count + 5) - _ties(time) - _ties(value)) / 18
    reach = z * math.sqrt(max(variance, 0.0))
    upper = min(int(np.round((len(slopes) + reach) / 2)), len(slopes) - 1)
    lower = max(int(np.round((len(slopes) - reach) / 2)) - 1, 0)
    return float(slopes[lower]), float(slopes[upper])


def _ties(values: Array) -> float:
    _, counts = np.unique(values, return_counts=True)
    repeated = counts[counts > 1].astype(float)
    return float(np.sum(repeated * (repeated - 1) * (2 * repeated + 5)))


def thinned(time: Array, value: Array, most: int = MOST_POINTS) -> tuple[Array, Array]:
    """At most so many points: the medians of equal spans of time. Source: definition."""
    if len(time) <= most:
        return time, value
    order = np.argsort(time, kind="stable")
    time, value = time[order], value[order]
    edges = np.linspace(time[0], time[-1], most + 1)
    place = np.clip(np.searchsorted(edges, time, side="right") - 1, 0, most - 1)
    starts = np.flatnonzero(np.r_[True, np.diff(place) > 0])
    groups = zip(starts, [*starts[1:], len(time)], strict=True)
    pairs = [(float(np.median(time[a:b])), float(np.median(value[a:b]))) for a, b in groups]
    return np.array([pair[0] for pair in pairs]), np.array([pair[1] for pair in pairs])
