"""A value with its uncertainty, held as named error sources so that what two results share stays correlated.

Each source is an independent standard normal variable known by its name; an estimate holds the signed change of its
value when that source stands one standard deviation high. Two results that hang on the same wattmeter hold a part of
the same name, so that their difference loses what they share. Source of the method: the law of propagation of
uncertainty, JCGM 100 (GUM) 5.1.2, with sensitivities by central differences (5.1.3 note 2).
"""

from __future__ import annotations

import math
from collections.abc import Callable, Mapping
from dataclasses import dataclass, field
from functools import cached_property
from types import MappingProxyType

import numpy as np
import numpy.typing as npt

Array = npt.NDArray[np.float64]

COVERAGE_95 = 1.959964
"""Standard deviations of a normal distribution that hold 95 % of it on both sides together."""


@dataclass(frozen=True)
class Estimate:
    """A value and its named error sources.

    :param value: the best value, in the unit of its quantity.
    :param contributions: for each named source, the signed change of the value at one standard deviation of that source.
    """

    value: float
    contributions: Mapping[str, float] = field(default_factory=lambda: MappingProxyType({}))

    @cached_property
    def standard(self) -> float:
        """The standard uncertainty, in the unit of the value."""
        return math.hypot(*self.contributions.values())

    @property
    def uncertainty(self) -> float:
        """Half the width of the interval that holds 95 %, in the unit of the value."""
        return COVERAGE_95 * self.standard

    def __add__(self, other: Estimate | float) -> Estimate:
        return self._with(other, 1.0)

    def __sub__(self, other: Estimate | float) -> Estimate:
        return self._with(other, -1.0)

    def __mul__(self, factor: Estimate | float) -> Estimate:
        """The product to first order: what both share is counted once."""
        if isinstance(factor, Estimate):
            return Estimate(self.value * factor.value, self._weighed(factor.value, factor, self.value))
        return Estimate(
            self.value * factor, {name: contribution * factor for name, contribution in self.contributions.items()}
        )

    def __truediv__(self, divisor: Estimate | float) -> Estimate:
        """The ratio to first order: what both share is counted once."""
        if not isinstance(divisor, Estimate):
            return self * (1 / divisor)
        ratio = self.value / divisor.value
        return Estimate(ratio, self._weighed(1 / divisor.value, divisor, -ratio / divisor.value))

    def differs_from(self, other: Estimate, least: float = 0.0) -> bool:
        """Whether two values lie farther apart than ``least``, and than the errors that they do not share."""
        apart = abs(self.value - other.value)
        if apart <= max(least, COVERAGE_95 * abs(self.standard - other.standard)):
            return False
        # Between the two bounds of what a difference's uncertainty can be, what they share decides.
        return apart > COVERAGE_95 * (self.standard + other.standard) or apart > (self - other).uncertainty

    def with_contribution(self, name: str, standard: float) -> Estimate:
        """The same value with one more independent source of the given standard uncertainty."""
        return Estimate(
            self.value, {**self.contributions, name: math.hypot(self.contributions.get(name, 0.0), standard)}
        )

    def shares(self) -> dict[str, float]:
        """Each source's share of the variance, largest first; they add up to one."""
        variance = self.standard**2
        ranked = sorted(self.contributions.items(), key=lambda item: -abs(item[1]))
        return {name: contribution**2 / variance for name, contribution in ranked if contribution} if variance else {}

    def _with(self, other: Estimate | float, sign: float) -> Estimate:
        if not isinstance(other, Estimate):
            return Estimate(self.value + sign * other, self.contributions)
        return Estimate(self.value + sign * other.value, self._weighed(1.0, other, sign))

    def _weighed(self, own: float, other: Estimate, others: float) -> dict[str, float]:
        """The parts of a sum in which this value and another each have a weight."""
        contributions = (
            dict(self.contributions)
            if own == 1.0
            else {name: contribution * own for name, contribution in self.contributions.items()}
        )
        for name, contribution in other.contributions.items():
            contributions[name] = contributions.get(name, 0.0) + others * contribution
        return contributions


def exactly(value: float) -> Estimate:
    """A value without error: a definition, a count, a choice."""
    return Estimate(value)


def measured(value: float, **standard_by_source: float) -> Estimate:
    """A value with independent sources, each of the given standard uncertainty (in the unit of the value)."""
    return Estimate(value, {name: standard for name, standard in standard_by_source.items() if standard})


def normal_share(deviations: float) -> float:
    """Share of a normal distribution that lies below so many standard deviations. Source: definition, by the error function."""
    return math.erfc(-deviations / math.sqrt(2)) / 2


def propagate(function: Callable[..., Array], *inputs: Estimate) -> tuple[Estimate, ...]:
    """Carry estimates through any function, keeping every source by name.

    :param function: takes one array of shape ``(scenarios, 1)`` for each input and returns an array of shape
        ``(scenarios, results)``; it is called once, with all scenarios stacked.
    :param inputs: the estimates; a source that several share moves them together.
    :returns: one estimate for each result.

    Sources that move one and the same input alone are moved as one, and share what comes of it in proportion.
    """
    moves, share_of = _moves(inputs)
    columns = [_scenarios(estimate, [move.get(place, 0.0) for move in moves]) for place, estimate in enumerate(inputs)]
    results = np.atleast_2d(np.asarray(function(*columns), dtype=float))
    middle, raised, lowered = results[0], results[1 : 1 + len(moves)], results[1 + len(moves) :]
    places, shares = [move for move, _ in share_of.values()], [share for _, share in share_of.values()]
    contributions = (((raised - lowered) / 2).T[:, places] * np.array(shares)).tolist()
    return tuple(
        Estimate(value, {name: contribution for name, contribution in zip(share_of, own, strict=True) if contribution})
        for value, own in zip(middle.tolist(), contributions, strict=True)
    )


def _moves(inputs: tuple[Estimate, ...]) -> tuple[list[dict[int, float]], dict[str, tuple[int, float]]]:
    """By how much each scenario moves which input; and for each source its scenario and its share of that move."""
    touched: dict[str, dict[int, float]] = {}
    for place, estimate in enumerate(inputs):
        for name, contribution in estimate.contributions.items():
            if contribution:
                touched.setdefault(name, {})[place] = contribution
    alone: dict[int, float] = {}
    for contributions in touched.values():
        if len(contributions) == 1:
            ((place, contribution),) = contributions.items()
            alone[place] = math.hypot(alone.get(place, 0.0), contribution)
    moves = [{place: size} for place, size in alone.items()]
    place_of = {place: number for number, place in enumerate(alone)}
    share_of: dict[str, tuple[int, float]] = {}
    for name, contributions in touched.items():
        if len(contributions) == 1:
            ((place, contribution),) = contributions.items()
            share_of[name] = (place_of[place], contribution / alone[place])
        else:
            share_of[name] = (len(moves), 1.0)
            moves.append(contributions)
    return moves, share_of


def _scenarios(estimate: Estimate, shifts: list[float]) -> Array:
    moved = np.array(shifts)
    return (estimate.value + np.concatenate(([0.0], moved, -moved)))[:, np.newaxis]
