"""Flow by a traverse: velocity from velocity pressure, the mean over a section, and where its points lie."""

from __future__ import annotations

import numpy as np

from modest_rotor.core.coded import Coded
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import Array
from modest_rotor.core.physics.fields import Real
from modest_rotor.core.say import say

ROOT = 1 / 2
LOG_TCHEBYCHEFF_SIDE = {
    5: (0.074, 0.288, 0.5, 0.712, 0.926),
    6: (0.061, 0.235, 0.437, 0.563, 0.765, 0.939),
    7: (0.053, 0.203, 0.366, 0.5, 0.634, 0.797, 0.947),
}
"""Places along a side of a rectangular duct by the log-Tchebycheff rule, as shares of the side. ISO 3966; ASHRAE Standard 111 and
Handbook, Fundamentals, measurement chapter (from memory)."""
LOG_LINEAR_DIAMETER = {
    6: (0.032, 0.135, 0.321),
    8: (0.021, 0.117, 0.184, 0.345),
    10: (0.019, 0.077, 0.153, 0.217, 0.361),
}
"""Places along a diameter by the log-linear rule, as shares of the diameter from one wall; the rest mirror them. The same."""


class TraverseRule(Coded):
    """How the points of a traverse are laid."""

    EQUAL_AREAS = "equal-areas"
    LOG_TCHEBYCHEFF = "log-tchebycheff"


def velocity_ms(velocity_pressure_pa: Real, density_kgm3: Real) -> Real:
    """Air speed v = √(2 p_v ÷ ρ), m/s.

    :param velocity_pressure_pa: total less static, Pa, not below zero. :param density_kgm3: of the air.
    :raises OutsideValidity: a negative velocity pressure, or a density not above zero.

    Validity: incompressible, up to about 50 m/s. Source: Bernoulli; ASHRAE Handbook, Fundamentals, measurement chapter.
    """
    if np.any(np.asarray(velocity_pressure_pa) < 0) or not np.all(np.asarray(density_kgm3) > 0):
        raise OutsideValidity(say("traverse-velocity-ms"))
    return (2 * velocity_pressure_pa / density_kgm3) ** ROOT


def traverse_flow_m3s(velocity_pressures_pa: Array, area_m2: float, density_kgm3: float) -> tuple[float, float]:
    """Flow and mean speed of a traverse whose points weigh alike, m³/s and m/s: the mean of the roots, never the root of a mean.

    :param velocity_pressures_pa: at each point, shape ``(points,)``. :param area_m2: of the duct inside.
    :raises OutsideValidity: no point, no area; and as :func:`velocity_ms`.

    Source: ASHRAE Standard 111; ISO 3966.
    """
    if len(velocity_pressures_pa) == 0 or area_m2 <= 0:
        raise OutsideValidity(say("traverse-flow-m3s"))
    mean = float(np.mean(velocity_ms(velocity_pressures_pa, density_kgm3)))
    return mean * area_m2, mean


def places_along_side(rule: TraverseRule, points: int) -> tuple[float, ...]:
    """Where the points of a rectangular duct lie along one side, as shares of it.

    :param points: along that side; 5 to 7 by log-Tchebycheff. :raises OutsideValidity: another number.

    Source: equal areas by definition; log-Tchebycheff as in ISO 3966.
    """
    if rule is TraverseRule.EQUAL_AREAS:
        if points < 1:
            raise OutsideValidity(say("traverse-places-along-side-traverse-needs"))
        return tuple((2 * place + 1) / (2 * points) for place in range(points))
    if points not in LOG_TCHEBYCHEFF_SIDE:
        raise OutsideValidity(say("traverse-places-along-side-log-tchebycheff", points=points))
    return LOG_TCHEBYCHEFF_SIDE[points]


def places_along_diameter(rule: TraverseRule, points: int) -> tuple[float, ...]:
    """Where the points of a round duct lie along a diameter, from wall to wall, as shares of it.

    :param points: along the diameter, even; 6, 8 or 10 by the log rule. :raises OutsideValidity: another number.

    Source: equal areas by definition (rings of one area, read at the middle of each); the log-linear rule of ISO 3966.
    """
    if points < 2 or points % 2 or (rule is TraverseRule.LOG_TCHEBYCHEFF and points not in LOG_LINEAR_DIAMETER):
        raise OutsideValidity(say("traverse-places-along-diameter"))
    if rule is TraverseRule.EQUAL_AREAS:
        rings = points // 2
        half = tuple((1 - ((2 * ring - 1) / points) ** ROOT) / 2 for ring in range(rings, 0, -1))
    else:
        half = LOG_LINEAR_DIAMETER[points]
    return (*half, *(1 - place for place in reversed(half)))
