"""Which cause explains all needles at once: each is put into the solved machine, and weighed by what was read."""

from __future__ import annotations

import math
from collections.abc import Mapping
from dataclasses import dataclass, replace
from functools import cache

import numpy as np

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import Array
from modest_rotor.core.identify.perturb import Change, Needle, Setup, ratios
from modest_rotor.core.tables import read_table

SIZES = 9
"""Sizes at which each cause is put into the machine, evenly in their logarithm."""
PLACES = (0.8, 1.0, 1.25)
"""Where the known point may lie on its generic curve."""
MODEL_SHARE = 0.15
"""How far a real machine's change strays from the model's, as a share of it. Our judgement, no source."""
METER_SPREAD = 0.25
"""How far a meter that is off may be off, standard deviation of the logarithm. Our judgement, no source."""
FLOOR = 0.01
"""Ratio below which a needle shows as good as nothing."""
UNEXPLAINED = 1e-12
REPEATS = {
    Needle.SPEED: 0.0007,
    Needle.VOLTS: 0.004,
    Needle.AMPS: 0.006,
    Needle.WATTS: 0.006,
    Needle.FLOW: 0.02,
    Needle.PRESSURE: 0.015,
    Needle.CAPACITOR_VOLTS: 0.006,
    Needle.MACHINE_SPEED: 0.0007,
}
"""How well a reading repeats on an unchanged machine, standard deviation of the logarithm. Our judgement, no source."""


@dataclass(frozen=True)
class Cause:
    """Something that may be wrong.

    :param change: what it does to the machine, or ``None`` where a meter alone is off, which ``needle`` names.
    :param sizes: at which it is tried.
    :param share: how often it is met before anything was read.
    """

    name: str
    change: Change | None
    needle: Needle | None
    sizes: tuple[float, ...]
    share: float
    machine: str
    repair: bool
    words: str


@dataclass(frozen=True)
class Observed:
    """How a needle moved against the machine as it should be: logarithm of the ratio and its standard deviation."""

    log_ratio: float
    sd: float


@dataclass(frozen=True)
class Rung:
    """A cause on the ladder.

    :param share: of the likelihood, 0 to 1. :param size: the size that explains best. :param expected: the move of each
        needle at that size, as logarithm of the ratio. :param strain: each needle's distance from it, in standard deviations.
    """

    cause: Cause
    share: float
    size: float | None
    expected: Mapping[Needle, float]
    strain: Mapping[Needle, float]


@cache
def all_causes() -> tuple[Cause, ...]:
    """Every cause of the table of causes."""
    return tuple(
        Cause(
            name=row["cause"],
            change=Change(row["change"]) if row["change"] else None,
            needle=Needle(row["needle"]) if row["needle"] else None,
            sizes=_sizes(row["least"], row["most"]),
            share=float(row["share"]),
            machine=row["machine"],
            repair=row["repair"] == "yes",
            words=row["words"],
        )
        for row in read_table("causes")
    )


def rank_causes(setup: Setup, observed: Mapping[Needle, Observed], machine: str, belted: bool) -> tuple[Rung, ...]:
    """The causes, the likeliest first, by how well each explains every needle that was read.

    :param setup: the machine as it should be; plain numbers.
    :param observed: how each needle moved against it.
    :param machine: ``fan`` or ``pump``. :param belted: whether a belt stands between motor and machine.
    :returns: every cause that this machine can have, with its share; an empty tuple where nothing was read.

    Each cause is solved at several sizes and places of the curve; its likelihood is the mean over them, so that a cause that
    explains by one lucky size alone stands lower than one that explains by most. Validity: one cause at a time; steady
    running. Source: Bayes' rule over a small number of models; spreads and how common each is are our judgement, no source.
    """
    if not observed:
        return ()
    found: list[tuple[Cause, float, Array, Mapping[Needle, Array]]] = []
    for cause in all_causes():
        if cause.machine not in (machine, "both") or (cause.change is Change.BELT_SLIPS and not belted):
            continue
        try:
            found.append((cause, *_weighed(setup, cause, observed)))
        except OutsideValidity:
            continue
    top = max((weight for _, weight, _, _ in found), default=0.0)
    total = sum(cause.share * math.exp(weight - top) for cause, weight, _, _ in found) or 1.0
    rungs = [
        _rung(cause, cause.share * math.exp(weight - top) / total, each, moves, observed)
        for cause, weight, each, moves in found
    ]
    return tuple(sorted(rungs, key=lambda rung: -rung.share))


def expected_moves(setup: Setup, change: Change, sizes: Array) -> dict[Needle, Array]:
    """Each needle's logarithm of after over before, shape ``(places, sizes)``, over the places of a generic curve."""
    here = float(np.ravel(setup.load.machine.place)[0])
    places = np.array(PLACES)[:, None] * here
    machine = replace(setup.load.machine, place=places + 0 * sizes[None, :])
    wide = replace(setup, load=replace(setup.load, machine=machine))
    if change is Change.CAPACITOR_DEAD:
        moved = ratios(wide, change, 0.0)
    else:
        moved = ratios(wide, change, sizes[None, :] + 0 * places)
    shape = (len(PLACES), len(sizes))
    return {
        needle: np.log(np.maximum(1 + np.broadcast_to(np.asarray(ratio, float), shape), FLOOR))
        for needle, ratio in moved.items()
    }


def _weighed(
    setup: Setup, cause: Cause, observed: Mapping[Needle, Observed]
) -> tuple[float, Array, Mapping[Needle, Array]]:
    """Log-likelihood of a cause, that of each of its sizes, and the moves of the needles at each size."""
    if cause.change is None:
        assert cause.needle is not None
        if cause.needle not in observed:
            raise OutsideValidity("That meter was not read.")
        spread = {needle: METER_SPREAD if needle is cause.needle else 0.0 for needle in observed}
        each = np.array([sum(_log_chance(seen, 0.0, spread[needle]) for needle, seen in observed.items())])
        return float(each[0]), each, {needle: np.zeros(1) for needle in observed}
    moves = expected_moves(setup, cause.change, np.array(cause.sizes))
    middle = len(PLACES) // 2
    each = np.zeros(len(cause.sizes))
    for needle, seen in observed.items():
        if needle in moves:
            mean, spread_of_places = moves[needle][middle], np.ptp(moves[needle], axis=0) / 2
            spread = np.hypot(MODEL_SHARE * mean, spread_of_places)
            each = each + np.array([_log_chance(seen, *pair) for pair in zip(mean, spread, strict=True)])
    best = float(each.max())
    return best + math.log(float(np.mean(np.exp(each - best))) + UNEXPLAINED), each, {needle: move[middle] for needle, move in moves.items()}  # fmt: skip


def _log_chance(seen: Observed, expected: float, spread: float) -> float:
    """Logarithm of the chance density of a needle's move, with heavy ends: readings are sometimes plainly wrong."""
    sd = math.hypot(seen.sd, spread)
    strain = (seen.log_ratio - expected) / sd
    return -2.5 * math.log1p(strain * strain / 4) - math.log(sd)


def _rung(
    cause: Cause, share: float, each: Array, moves: Mapping[Needle, Array], observed: Mapping[Needle, Observed]
) -> Rung:
    best = int(np.argmax(each))
    expected = {needle: float(moves[needle][best]) for needle in observed if needle in moves}
    if cause.needle is not None and cause.needle in observed:
        expected[cause.needle] = observed[cause.needle].log_ratio
    strain = {
        needle: (observed[needle].log_ratio - value) / math.hypot(observed[needle].sd, MODEL_SHARE * value)
        for needle, value in expected.items()
    }
    return Rung(cause, share, cause.sizes[best] if cause.change else None, expected, strain)


def _sizes(least: str, most: str) -> tuple[float, ...]:
    if not least:
        return ()
    low, high = float(least), float(most)
    return (low,) if low == high else tuple(float(size) for size in np.geomspace(low, high, SIZES))
