"""A smooth curve through a table of points that rises and falls only where the points do."""

from __future__ import annotations

from bisect import bisect_right
from dataclasses import dataclass, field

import numpy as np

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import Array
from modest_rotor.core.physics.fields import Real

FEWEST_POINTS = 3


@dataclass(frozen=True)
class MonotoneCurve:
    """Piecewise cubic through points ``(x, y)`` with the slopes of Fritsch and Butland; see :func:`curve_through`."""

    x: tuple[float, ...]
    y: tuple[float, ...]
    slopes: tuple[float, ...]
    arrays: tuple[Array, Array, Array] = field(compare=False, repr=False)

    def __call__(self, at: Real) -> Real:
        """The curve at ``at``, within its points; beyond them the last piece goes on, which the caller must refuse."""
        y, second, third, slope, t, h = self._piece(at)
        return y + t * (slope + t * (second + t * third)) + 0 * h

    def slope_at(self, at: Real) -> Real:
        """First derivative at ``at``."""
        _, second, third, slope, t, _ = self._piece(at)
        return slope + t * (2 * second + 3 * third * t)

    def _piece(self, at: Real) -> tuple[Real, Real, Real, Real, Real, Real]:
        last = len(self.x) - 2
        if isinstance(at, (float, int)):
            i = min(max(bisect_right(self.x, at) - 1, 0), last)
            x, y, d = self.x, self.y, self.slopes
            x0, x1, y0, y1, d0, d1 = x[i], x[i + 1], y[i], y[i + 1], d[i], d[i + 1]
        else:
            index = np.clip(np.searchsorted(self.arrays[0], at, side="right") - 1, 0, last)
            xs, ys, ds = self.arrays
            x0, x1, y0, y1, d0, d1 = xs[index], xs[index + 1], ys[index], ys[index + 1], ds[index], ds[index + 1]
        h = x1 - x0
        chord = (y1 - y0) / h
        second = (3 * chord - 2 * d0 - d1) / h
        third = (d0 + d1 - 2 * chord) / (h * h)
        return y0, second, third, d0, at - x0, h


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
        raise OutsideValidity(f"The {what} has {min(len(x), len(y))} points; a curve needs at least {FEWEST_POINTS}.")
    if not (np.isfinite(x).all() and np.isfinite(y).all()):
        raise OutsideValidity(f"The {what} holds something that is no number. Look through its rows.")
    h = np.diff(x)
    if (h <= 0).any():
        at = float(x[int(np.argmax(h <= 0)) + 1])
        raise OutsideValidity(f"The {what} does not go upward at {at:g}: each row must lie beyond the one before it.")
    chord = np.diff(y) / h
    slopes = np.concatenate(
        ([_end(h[0], h[1], chord[0], chord[1])], _inner(h, chord), [_end(h[-1], h[-2], chord[-1], chord[-2])])
    )
    return MonotoneCurve(
        tuple(map(float, x)), tuple(map(float, y)), tuple(map(float, slopes)), (np.array(x, float), np.array(y, float), slopes)
    )  # fmt: skip


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
