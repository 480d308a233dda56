"""The noise sweep: from frequencies that were loud to bands that are skipped and limits that are moved."""

from __future__ import annotations

import itertools
from collections.abc import Iterable
from dataclasses import dataclass

import numpy as np

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.say import Number, say
from modest_rotor.core.stations.traits import DriveTraits

NEAR_HZ = 1e-6
MOSTLY = 0.5
"""Share of the range from which on noise is the motor's, its mounts' or the wheel's, not a resonance. Our judgement, no source."""


@dataclass(frozen=True)
class Band:
    """A band of frequencies, Hz."""

    low: float
    high: float


@dataclass(frozen=True)
class SweepPlan:
    """What a sweep comes to.

    :param skips: bands that the drive is told to skip. :param low: lowest frequency afterwards. :param high: highest.
    :param left: bands that stay loud, since the drive cannot skip them. :param joined: quiet hertz lost where bands were joined.
    :param mostly: whether most of the range is loud: then nothing is skipped, and the machine is looked at first.
    """

    skips: tuple[Band, ...]
    low: float
    high: float
    left: tuple[Band, ...] = ()
    joined: float = 0.0
    mostly: bool = False


def frequencies(low: float, high: float, step: float) -> tuple[float, ...]:
    """The frequencies of a sweep, from the lowest to the highest, both counted, Hz.

    :raises OutsideValidity: limits that hold nothing, or a step not above zero. Source: definition.
    """
    if not (0 <= low < high and step > 0):
        raise OutsideValidity(
            say("sweep-frequencies", low=Number(low, "g"), high=Number(high, "g"), step=Number(step, "g"))
        )
    count = int(np.floor((high - low) / step + NEAR_HZ))
    inner = [round(low + place * step, 6) for place in range(count + 1)]
    return tuple(inner) if high - inner[-1] < NEAR_HZ else (*inner, high)


def plan_sweep(
    marks: Iterable[float], low: float, high: float, step: float, margin: float, traits: DriveTraits
) -> SweepPlan:
    """Skipped bands and moved limits from the frequencies that were loud.

    :param marks: loud frequencies, Hz, up and down together. :param low: lowest frequency that was swept; never below the floor.
    :param high: highest. :param step: of the sweep. :param margin: by which a band reaches beyond its loud frequencies.
    :param traits: what the drive can skip.

    Loud frequencies no more than one step apart make one band. A band that touches an end becomes a moved limit, one step
    inside it, where the drive cannot skip its ends. Bands beyond the drive's count are joined over the least quiet range,
    as far as it can skip so wide a band; the rest stays loud and is told. Source: our own method, no source.
    """
    floor = max(low, traits.floor_hz)
    grid = frequencies(floor, high, step)
    loud = sorted({min(max(mark, floor), high) for mark in marks})
    if not loud:
        return SweepPlan((), floor, high)
    if len({round(mark / step) for mark in loud}) > MOSTLY * len(grid):
        return SweepPlan((), floor, high, mostly=True)
    runs = _runs(loud, step)
    if not traits.skips_ends:
        runs, floor, high = _ends_moved(runs, floor, high, step)
    bands = [Band(max(run.low - margin, floor), min(run.high + margin, high)) for run in runs]
    bands, joined = _fewer(bands, traits)
    wide = [band for band in bands if band.high - band.low > traits.widest_band_hz + NEAR_HZ]
    fit = [band for band in bands if band not in wide]
    kept = sorted(fit, key=lambda band: band.low - band.high)[: traits.most_bands]
    left = tuple(band for band in bands if band not in kept)
    return SweepPlan(tuple(band for band in bands if band in kept), floor, high, left, joined)


def out_of_bands(hertz: float, plan: SweepPlan) -> float:
    """The nearest frequency to ``hertz`` that is outside skipped bands and inside the limits. Source: definition."""
    inside = min(max(hertz, plan.low), plan.high)
    for band in plan.skips:
        if band.low < inside < band.high:
            near_low = inside - band.low <= band.high - inside
            choices = (band.low, band.high) if near_low else (band.high, band.low)
            inside = next((edge for edge in choices if plan.low <= edge <= plan.high), inside)
    return inside


def _runs(loud: list[float], step: float) -> list[Band]:
    runs: list[Band] = []
    for mark in loud:
        if runs and mark - runs[-1].high <= step + NEAR_HZ:
            runs[-1] = Band(runs[-1].low, mark)
        else:
            runs.append(Band(mark, mark))
    return runs


def _ends_moved(runs: list[Band], floor: float, high: float, step: float) -> tuple[list[Band], float, float]:
    """Bands that touch an end taken off the range, one step beyond what was loud."""
    if runs and runs[-1].high >= high - NEAR_HZ:
        high = runs.pop().low - step
    if runs and runs[0].low <= floor + NEAR_HZ:
        floor = runs.pop(0).high + step
    if floor >= high:
        raise OutsideValidity(say("sweep-ends-moved"))
    return runs, floor, high


def _fewer(bands: list[Band], traits: DriveTraits) -> tuple[list[Band], float]:
    """As many bands as the drive skips, by joining neighbours over the least quiet hertz."""
    joined = 0.0
    while len(bands) > traits.most_bands:
        gaps = [
            (after.low - before.high, place)
            for place, (before, after) in enumerate(itertools.pairwise(bands))
            if after.high - before.low <= traits.widest_band_hz
        ]
        if not gaps:
            break
        gap, place = min(gaps)
        bands = [*bands[:place], Band(bands[place].low, bands[place + 1].high), *bands[place + 2 :]]
        joined += max(gap, 0.0)
    return bands, joined
