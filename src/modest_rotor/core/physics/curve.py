"""A smooth curve through a table of points that rises and falls only where the points do."""

from __future__ import annotations

from bisect import bisect_right
from dataclasses import dataclass, field

import numpy as np

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import Array
from modest_rotor.core.physics.fields import Real
from modest_rotor.core.say import say

FEWEST_POINTS = 3


@dataclass(frozen=True)
class MonotoneCurve:
    """Piecewise cubic through points with the slopes of Fritsch and Butland; see :func:`curve_through`.

    :param x: where each piece begins, and where the last ends.
    :param pieces: of each piece y, slope and the two higher coefficients in the distance from its beginning.
    :param arrays: the same as arrays, for many places at once: x, and the coefficients of shape ``(4, pieces)``.
    """

    x: tuple[float, ...]
    pieces: tuple[tuple[float, ...], ...]
    arrays: tuple[Array, Array] = field(compare=False, repr=False)

    def __call__(self, at: Real) -> Real:
        """The curve at ``at``, within its points; beyond them the last piece goes on, which the caller must refuse."""
        t, y, slope, second, third = self._piece(at)
        return y + t * (slope + t * (second + t * third))

    def slope_at(self, at: Real) -> Real:
        """First derivative at ``at``."""
        t, _, slope, second, third = self._piece(at)
        return slope + t * (2 * second + 3 * third * t)

    def with_slope(self, at: Real) -> tuple[Real, Real]:
        """The curve and its first derivative at ``at``, looked up once."""
        t, y, slope, second, third = self._piece(at)
        return y + t * (slope + t * (second + t * third)), slope + t * (2 * second + 3 * third * t)

    def _piece(self, at: Real) -> tuple[Real, Real, Real, Real, Real]:
        last = len(self.pieces) - 1
        if isinstance(at, (float, int)):
            i = min(max(bisect_right(self.x, at) - 1, 0), last)
            y, slope, second, third = self.pieces[i]
            return at - self.x[i], y, slope, second, third
        x, coefficients = self.arrays
        index = np.searchsorted(x[1:-1], at, side="right")
        y, slope, second, third = coefficients[:, index]
        return at - x[index], y, slope, second, third


def curve_through(x: Array, y: Array, what: str = "curve") -> MonotoneCurve:
    """The curve through points, at least three, with ``x`` growing.

    :param x: places, any unit.
    :param y: values there, any unit; both of shape ``(points,)``.
    :param what: how the table is called in a refusal.
    :raises OutsideValidity: too few points, a value that is no number, or two points at one ``x``.

    Validity: between the first and the last point. Source: F. N. Fritsch and J. Butland, SIAM J. Sci. Stat. Comput. 5
    (1984), with the three-point end slopes of the shape-preserving kind (C. Moler, Numerical Computing with MATLAB, ch. 3).
    """
    if len(x) < FEWEST_POINTS or len(x) != len(y):
        raise OutsideValidity(
            say("curve-through-points-curve", what=what, x=min(len(x), len(y)), fewest_points=FEWEST_POINTS)
        )
    if not (np.isfinite(x).all() and np.isfinite(y).all()):
        raise OutsideValidity(say("curve-through-holds-something", what=what))
    h = np.diff(x)
    if (h <= 0).any():
        row = int(np.argmax(h <= 0)) + 2
        raise OutsideValidity(say("curve-through-does-go", what=what, row=row))
    chord = np.diff(y) / h
    slopes = np.concatenate(
        ([_end(h[0], h[1], chord[0], chord[1])], _inner(h, chord), [_end(h[-1], h[-2], chord[-1], chord[-2])])
    )
    second = (3 * chord - 2 * slopes[:-1] - slopes[1:]) / h
    third = (slopes[:-1] + slopes[1:] - 2 * chord) / (h * h)
    coefficients = np.array((y[:-1], slopes[:-1], second, third), float)
    return MonotoneCurve(
        tuple(map(float, x)), tuple(map(tuple, coefficients.T.tolist())), (np.array(x, float), coefficients)
    )


def _inner(h: Array, chord: Array) -> Array:
    before, after = chord[:-1], chord[1:]
    w1, w2 = 2 * h[1:] + h[:-1], h[1:] + 2 * h[:-1]
    turns = before * after <= 0
    mean = (w1 + w2) / (w1 / np.where(turns, 1.0, before) + w2 / np.where(turns, 1.0, after))
    return np.where(turns, 0.0, mean)


def _end(h0: float, h1: float, chord0: float, chord1: float) -> float:
    slope = ((2 * h0 + h1) * chord0 - h0 * chord1) / (h0 + h1)
    if slope * chord0 <= 0:
        return 0.0
    if chord0 * chord1 <= 0 and abs(slope) > 3 * abs(chord0):
        return float(3 * chord0)
    return float(slope)
