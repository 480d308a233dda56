"""Nonlinear least squares for several starts at once, with every row and every parameter in standard deviations."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass

import numpy as np

from modest_rotor.core.estimate import Array

MOST_ROUNDS = 30
STEP = 1e-3
"""Step of the forward differences, in standard deviations of the parameter before the fit."""
ENOUGH = 1e-4
"""Change of the cost, relative and in units of one squared standard deviation, below which the search ends."""
FIRST_DAMPING, EASIER, HARDER = 1e-1, 0.15, 8.0
FARTHEST = 5.0
"""Standard deviations from the typical motor beyond which no number is followed."""
FARTHEST_ROW = 3e3
"""Standard deviations beyond which one disagreement is as bad as another; keeps a nonsense plate's equations solvable."""


@dataclass(frozen=True)
class Minimum:
    """The best point found.

    :param numbers: shape ``(numbers,)``.
    :param residuals: shape ``(rows,)``.
    :param jacobian: shape ``(rows, numbers)``.
    """

    numbers: Array
    residuals: Array
    jacobian: Array

    @property
    def cost(self) -> float:
        """Half the sum of squared residuals."""
        return float(self.residuals @ self.residuals) / 2


def minimise(residuals: Callable[[Array], Array], starts: Array, most_rounds: int = MOST_ROUNDS) -> Minimum:
    """The point of least squares among those reached from several starts.

    :param residuals: takes numbers of shape ``(..., numbers)``, returns rows of shape ``(..., rows)``.
    :param starts: shape ``(starts, numbers)``.
    :param most_rounds: steps after which the search ends in any case.

    Validity: smooth rows. Source: K. Levenberg, Quart. Appl. Math. 2 (1944); D. Marquardt, J. SIAM 11 (1963); the damping is
    that of numbers already in standard deviations.
    """
    x = starts.copy()
    r, jacobian = _with_jacobian(residuals, x)
    cost, damping = _cost(r), np.full(len(x), FIRST_DAMPING)
    eye = np.eye(x.shape[-1])
    for _ in range(most_rounds):
        normal = np.einsum("bri,brj->bij", jacobian, jacobian) + damping[:, None, None] * eye
        step = np.linalg.solve(normal, -np.einsum("bri,br->bi", jacobian, r)[..., None])[..., 0]
        trial = np.clip(x + step, -FARTHEST, FARTHEST)
        trial_r, trial_jacobian = _with_jacobian(residuals, trial)
        trial_cost = _cost(trial_r)
        better = trial_cost < cost
        gain = np.where(better, cost - trial_cost, np.inf)
        x, r = np.where(better[:, None], trial, x), np.where(better[:, None], trial_r, r)
        jacobian = np.where(better[:, None, None], trial_jacobian, jacobian)
        cost = np.where(better, trial_cost, cost)
        damping = np.where(better, damping * EASIER, damping * HARDER)
        if (gain <= ENOUGH * (1 + cost)).all() or (damping > 1e6).all():
            break
    best = int(np.argmin(cost))
    return Minimum(x[best], r[best], jacobian[best])


def _with_jacobian(residuals: Callable[[Array], Array], x: Array) -> tuple[Array, Array]:
    count = x.shape[-1]
    stacked = np.repeat(x[:, None, :], count + 1, axis=1)
    stacked[:, np.arange(1, count + 1), np.arange(count)] += STEP
    rows = np.clip(np.nan_to_num(residuals(stacked), nan=FARTHEST_ROW), -FARTHEST_ROW, FARTHEST_ROW)
    return rows[:, 0, :], np.moveaxis(rows[:, 1:, :] - rows[:, :1, :], 1, 2) / STEP


def _cost(rows: Array) -> Array:
    return np.asarray((rows**2).sum(axis=-1) / 2)
