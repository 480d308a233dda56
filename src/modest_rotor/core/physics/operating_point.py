"""Where machine and system meet."""

from __future__ import annotations

from collections.abc import Callable

import numpy as np

from modest_rotor.core.estimate import Array
from modest_rotor.core.physics.fan import MachineCurve
from modest_rotor.core.physics.system import SystemCurve

BISECTIONS = 32
"""Halvings of the bracket: 2⁻³² of its width is far below any meter."""
HIGHEST_SPEED_RATIO = 3.0
LOWEST_SPEED_RATIO = 0.02


def speed_ratio_for_flow(machine: MachineCurve, system: SystemCurve, flow: Array) -> Array:
    """Speed, relative to the known point, at which the machine gives ``flow`` into ``system``.

    :param machine: the machine's curve.
    :param system: the system it stands in.
    :param flow: wanted flow, m³/s, shape ``(scenarios, steps)``.
    :returns: speed ratio of the same shape; NaN where no speed up to three times the known one gives the flow.
    """
    needed = system.pressure_at(flow)

    def surplus(speed: Array) -> Array:
        given = machine.pressure_at(flow, speed)
        # Too slow to carry the flow at all is the same verdict as too little pressure.
        return np.where(np.isnan(given), -1.0, given - needed)

    return _bisect(
        surplus, np.full(np.shape(needed), LOWEST_SPEED_RATIO), np.full(np.shape(needed), HIGHEST_SPEED_RATIO)
    )


def flow_at_speed(machine: MachineCurve, system: SystemCurve, speed_ratio: Array) -> Array:
    """Flow at which the machine, at a speed relative to its known point, meets the system; zero when dead-headed.

    :param speed_ratio: speed over that of the known point, shape ``(scenarios, steps)``.
    :returns: flow in the unit of the machine's curve. On a curve with a dip the crossing at the highest flow is given.
    """
    shape = np.shape(speed_ratio + system.fixed_pressure)
    top = np.broadcast_to(machine.flow * machine.shape.last_flow / machine.place * speed_ratio, shape)

    def deficit(flow: Array) -> Array:
        given = machine.pressure_at(flow, speed_ratio)
        return system.pressure_at(flow) - np.where(np.isnan(given), 0.0, given)

    flow = _bisect(deficit, np.zeros(shape), np.array(top))
    return np.where(deficit(np.zeros(shape)) >= 0, 0.0, flow)


def _bisect(function: Callable[[Array], Array], low: Array, high: Array) -> Array:
    reachable = function(high) >= 0
    for _ in range(BISECTIONS):
        middle = (low + high) / 2
        above = function(middle) >= 0
        low, high = np.where(above, low, middle), np.where(above, middle, high)
    return np.where(reachable, (low + high) / 2, np.nan)
