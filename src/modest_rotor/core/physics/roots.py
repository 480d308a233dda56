"""Where a function crosses zero between two places, for one number or for thousands at once."""

from __future__ import annotations

from collections.abc import Callable
from typing import Any

import numpy as np

from modest_rotor.core.physics.fields import NEVER_ZERO, Real, choose

ROUNDS = 12
"""Order 1.7 from a narrow bracket: six rounds reach the last digits of smooth functions; where one bends, a few more."""
SETTLED = 1e-8
"""Relative step at which the search ends early: at order 1.7 what is left then is a part in 10¹³."""


def crossing(
    function: Callable[[Real], Real],
    low: Real,
    high: Real,
    rounds: int = ROUNDS,
    ends: tuple[Real, Real] | None = None,
    guess: Real | None = None,
) -> Real:
    """A place between ``low`` and ``high`` at which the function crosses zero.

    :param function: continuous; its signs at ``low`` and ``high`` differ, else the answer means nothing and the caller masks it.
    :param rounds: at most so many evaluations inside the bracket.
    :param ends: the function's values at ``low`` and ``high`` where they are known.
    :param guess: a place between them near which the crossing is thought to lie; it is looked at first.

    Source: N. Anderson and Å. Björck, BIT 13 (1973), regula falsi with shrunk ordinates.
    """
    a, b = low, high
    f_a, f_b = ends or (function(a), function(b))
    settled: Any = False
    for round_ in range(rounds):
        step = f_b - f_a
        c = b - choose(step == 0, 0.0, f_b * (b - a) / choose(step == 0, 1.0, step))
        if round_ == 0 and guess is not None:
            c = guess
        # What has settled stays: further rounds would only follow the last digits' noise.
        c = c if settled is False else choose(settled, b, c)
        f_c = function(c)
        crossed = f_c * f_b < 0
        shrink = 1 - f_c / choose(f_b == 0, NEVER_ZERO, f_b)
        shrink = choose(shrink > 0, shrink, 1 / 2)
        a, f_a = choose(crossed, b, a), choose(crossed, f_b, f_a * choose(f_b == 0, 1.0, shrink))
        moved, b, f_b = c - b, c, f_c
        settled = (abs(moved) <= SETTLED * abs(c)) | settled
        if settled is True or (settled is not False and np.all(settled)):
            break
    return b
