"""Which cause explains all readings at once: each is put into the solved machine, and weighed by what was read."""

from __future__ import annotations

import math
from collections.abc import Mapping
from dataclasses import dataclass, replace
from functools import cache

import numpy as np

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import Array
from modest_rotor.core.identify.perturb import Change, Measurand, Setup, ratios
from modest_rotor.core.tables import read_table

SIZES = 9
"""Sizes at which each cause is put into the machine, evenly in their logarithm."""
PLACES = (0.8, 1.0, 1.25)
"""Where the known point may lie on its generic curve."""
MIDDLE = len(PLACES) // 2
MODEL_SHARE = 0.15
"""How far a real machine's change strays from the model's, as a share of it. Our judgement, no source."""
METER_SPREAD = 0.25
"""How far a meter that is off may be off, standard deviation of the logarithm. Our judgement, no source."""
FLOOR = 0.01
"""Ratio below which a reading shows as good as nothing."""
UNEXPLAINED = 1e-12
REPEATS = {
    Measurand.SPEED: 0.0007,
    Measurand.VOLTS: 0.004,
    Measurand.AMPS: 0.006,
    Measurand.WATTS: 0.006,
    Measurand.FLOW: 0.02,
    Measurand.PRESSURE: 0.015,
    Measurand.CAPACITOR_VOLTS: 0.006,
    Measurand.MACHINE_SPEED: 0.0007,
}
"""How well a reading repeats on an unchanged machine, standard deviation of the logarithm. Our judgement, no source."""


@dataclass(frozen=True)
class Cause:
    """Something that may be wrong.

    :param change: what it does to the machine, or ``None`` where a meter alone is off, which ``measurand`` names.
    :param sizes: at which it is tried; of a meter, the shares of the whole that it may read.
    :param share: how often it is met before anything was read. :param next: the step that follows once it is proved.
    """

    name: str
    change: Change | None
    measurand: Measurand | None
    sizes: tuple[float, ...]
    share: float
    machine: str
    repair: bool
    words: str
    next: str = ""

    pump: tuple[str, str, str] = ("", "", "")
    """Its name, words and next step on a pump, where they are not the same."""

    def told_on(self, machine: str) -> tuple[str, str, str]:
        """Name, words and next step in the terms of a machine, ``fan`` or ``pump``."""
        own = (self.name, self.words, self.next)
        if machine != "pump":
            return own
        return tuple(other or usual for other, usual in zip(self.pump, own, strict=True))  # type: ignore[return-value]

    @property
    def reads_a_part(self) -> bool:
        """Whether a meter is right, and reads only a part of what the design counts."""
        return self.change is None and bool(self.sizes)


@dataclass(frozen=True)
class Observed:
    """How a reading moved against the machine as it should be: logarithm of the ratio and its standard deviation."""

    log_ratio: float
    sd: float


@dataclass(frozen=True)
class WeighedCause:
    """A cause on the ranking.

    :param share: of the likelihood, 0 to 1. :param size: the size that explains best. :param expected: the move of each
        reading at that size, as logarithm of the ratio. :param strain: each reading's distance from it, in standard deviations.
    """

    cause: Cause
    share: float
    size: float | None
    expected: Mapping[Measurand, float]
    strain: Mapping[Measurand, float]


@cache
def all_causes() -> tuple[Cause, ...]:
    """Every cause of the table of causes."""
    return tuple(
        Cause(
            name=row["cause"],
            change=Change(row["change"]) if row["change"] else None,
            measurand=Measurand(row["measurand"]) if row["measurand"] else None,
            sizes=_sizes(row["least"], row["most"]),
            share=float(row["share"]),
            machine=row["machine"],
            repair=row["repair"] == "yes",
            words=row["words"],
            next=row["next"],
            pump=(row["pump_name"], row["pump_words"], row["pump_next"]),
        )
        for row in read_table("causes")
    )


@dataclass(frozen=True)
class Solved:
    """A cause put into one machine: each reading's logarithm of after over before, shape ``(places, sizes)``."""

    cause: Cause
    moves: Mapping[Measurand, Array]


def solve_causes(setup: Setup, machine: str, belted: bool, rough: bool = False) -> tuple[Solved, ...]:
    """Every cause that a machine can have, put into it.

    :param rough: whether it is held against plate and design alone, where a reading of a part is one of the causes.
    :param setup: the machine as it should be; plain numbers. :param machine: ``fan`` or ``pump``.
    :param belted: whether a belt stands between motor and machine.

    Validity: one cause at a time; steady running. Source: the equations of motor and load.
    """
    found = []
    for cause in all_causes():
        if cause.machine not in (machine, "both") or (cause.change is Change.BELT_SLIPS and not belted):
            continue
        if cause.reads_a_part and not rough:
            continue
        try:
            moves = expected_moves(setup, cause.change, np.array(cause.sizes)) if cause.change else {}
        except OutsideValidity:  # a part that this machine does not have
            continue
        found.append(Solved(cause, moves))
    return tuple(found)


def rank_causes(solved: tuple[Solved, ...], observed: Mapping[Measurand, Observed]) -> tuple[WeighedCause, ...]:
    """The causes, the likeliest first, by how well each explains all that was read.

    :param solved: the causes put into the machine as it should be.
    :param observed: how each reading moved against it.
    :returns: every cause with its share; an empty tuple where nothing was read.

    The likelihood of a cause is the mean over its sizes, so that one that explains by a single lucky size stands lower than
    one that explains by most. Source: Bayes' rule over a small number of models; spreads and how common each is are our
    judgement, no source.
    """
    if not observed:
        return ()
    found = [
        (one, *_weighed(one, observed))
        for one in solved
        if one.cause.measurand is None or one.cause.measurand in observed
    ]
    top = max((weight for _, weight, _ in found), default=0.0)
    total = sum(one.cause.share * math.exp(weight - top) for one, weight, _ in found) or 1.0
    ranked = [
        _weighed_cause(one, one.cause.share * math.exp(weight - top) / total, each, observed)
        for one, weight, each in found
    ]
    return tuple(sorted(ranked, key=lambda weighed: -weighed.share))


def expected_moves(setup: Setup, change: Change, sizes: Array) -> dict[Measurand, Array]:
    """Each reading's logarithm of after over before, shape ``(places, sizes)``, over the places of a generic curve.

    :param setup: the machine as it should be. :param sizes: of the change, in its unit, shape ``(sizes,)``. Source: the
    machine solved anew; sizes in table ``perturbations``, our judgement.
    """
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
        measurand: np.log(np.maximum(1 + np.broadcast_to(np.asarray(ratio, float), shape), FLOOR))
        for measurand, ratio in moved.items()
    }


def _weighed(solved: Solved, observed: Mapping[Measurand, Observed]) -> tuple[float, Array]:
    """Log-likelihood of a cause, and that of each of its sizes."""
    if solved.cause.reads_a_part:
        each = np.array(
            [
                sum(
                    _log_chance(seen, math.log(size) if measurand is solved.cause.measurand else 0.0, 0.0)
                    for measurand, seen in observed.items()
                )
                for size in solved.cause.sizes
            ]
        )
        best = float(each.max())
        return best + math.log(float(np.mean(np.exp(each - best))) + UNEXPLAINED), each
    if solved.cause.change is None:
        spread = {measurand: METER_SPREAD if measurand is solved.cause.measurand else 0.0 for measurand in observed}
        alone = sum(_log_chance(seen, 0.0, spread[measurand]) for measurand, seen in observed.items())
        return alone, np.array([alone])
    each = np.zeros(len(solved.cause.sizes))
    for measurand, seen in observed.items():
        if measurand in solved.moves:
            mean, between = solved.moves[measurand][MIDDLE], np.ptp(solved.moves[measurand], axis=0) / 2
            spread_of_each = np.hypot(MODEL_SHARE * mean, between)
            each = each + np.array([_log_chance(seen, *pair) for pair in zip(mean, spread_of_each, strict=True)])
    best = float(each.max())
    return best + math.log(float(np.mean(np.exp(each - best))) + UNEXPLAINED), each


def _log_chance(seen: Observed, expected: float, spread: float) -> float:
    """Logarithm of the chance density of a reading's move, with heavy ends: readings are sometimes plainly wrong."""
    sd = math.hypot(seen.sd, spread)
    strain = (seen.log_ratio - expected) / sd
    return -2.5 * math.log1p(strain * strain / 4) - math.log(sd)


def _weighed_cause(solved: Solved, share: float, each: Array, observed: Mapping[Measurand, Observed]) -> WeighedCause:
    cause, best = solved.cause, int(np.argmax(each))
    if cause.reads_a_part:
        expected = {
            measurand: math.log(cause.sizes[best]) if measurand is cause.measurand else 0.0 for measurand in observed
        }
    elif cause.change is None:
        expected = {
            measurand: seen.log_ratio if measurand is cause.measurand else 0.0 for measurand, seen in observed.items()
        }
    else:
        expected = {
            measurand: float(solved.moves[measurand][MIDDLE][best])
            for measurand in observed
            if measurand in solved.moves
        }
    strain = {
        measurand: (observed[measurand].log_ratio - value) / math.hypot(observed[measurand].sd, MODEL_SHARE * value)
        for measurand, value in expected.items()
    }
    return WeighedCause(cause, share, cause.sizes[best] if cause.sizes else None, expected, strain)


def _sizes(least: str, most: str) -> tuple[float, ...]:
    if not least:
        return ()
    low, high = float(least), float(most)
    return (low,) if low == high else tuple(float(size) for size in np.geomspace(low, high, SIZES))
