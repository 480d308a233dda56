"""Where a function crosses zero between two places, for one number or for thousands at once."""

from __future__ import annotations

from collections.abc import Callable

from modest_rotor.core.physics.fields import NEVER_ZERO, Real, choose

ROUNDS = 8
"""Order 1.7 from a narrow bracket: eight rounds reach the last digits of smooth functions."""
SETTLED = 1e-12
"""Relative step at which the search for a single number ends early."""


def crossing(
    function: Callable[[Real], Real], low: Real, high: Real, rounds: int = ROUNDS, ends: tuple[Real, Real] | None = None
) -> Real:
    """A place between ``low`` and ``high`` at which the function crosses zero.

    :param function: continuous; its signs at ``low`` and ``high`` differ, else the answer means nothing and the caller masks it.
    :param rounds: at most so many evaluations inside the bracket.
    :param ends: the function's values at ``low`` and ``high`` where they are known.

    Source: N. Anderson and Å. Björck, BIT 13 (1973), regula falsi with shrunk ordinates.
    """
    a, b = low, high
    f_a, f_b = ends or (function(a), function(b))
    for _ in range(rounds):
        step = f_b - f_a
        c = b - f_b * (b - a) / choose(step == 0, NEVER_ZERO, step)
        f_c = function(c)
        crossed = f_c * f_b < 0
        shrink = 1 - f_c / choose(f_b == 0, NEVER_ZERO, f_b)
        shrink = choose(shrink > 0, shrink, 1 / 2)
        a, f_a = choose(crossed, b, a), choose(crossed, f_b, f_a * choose(f_b == 0, 1.0, shrink))
        moved, b, f_b = c - b, c, f_c
        if isinstance(moved, float) and abs(moved) <= SETTLED * abs(c):
            break
    return b
