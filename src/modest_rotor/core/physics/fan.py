"""Fans and pumps: a generic shape put through one known point, and moved by the affinity laws."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum
from functools import cache, cached_property

import numpy as np
from scipy.interpolate import PchipInterpolator

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import Array
from modest_rotor.core.tables import read_table


class Wheel(StrEnum):
    """What the motor drives."""

    FORWARD_CURVED = "forward-curved"
    BACKWARD_INCLINED = "backward-inclined"
    AXIAL = "axial"
    PUMP = "centrifugal pump"


@dataclass(frozen=True)
class Shape:
    """A machine's curves at one speed, relative to its best-efficiency point (there flow, pressure and power are 1).

    :param best_efficiency: efficiency at that point, a fraction (static efficiency for fans).
    :param last_flow: relative flow at which the pressure reaches zero.
    """

    wheel: Wheel
    best_efficiency: float
    last_flow: float
    pressure: PchipInterpolator
    power: PchipInterpolator

    def efficiency(self, flow: Array) -> Array:
        """Efficiency at a relative flow, a fraction."""
        return self.best_efficiency * flow * np.asarray(self.pressure(flow)) / np.asarray(self.power(flow))


@cache
def generic_shape(wheel: Wheel) -> Shape:
    """The generic curves of a kind of wheel, by monotone cubic interpolation between the points of its table.

    Validity: shut-off to free delivery of an ordinary machine of the kind; no particular make. Source: our own
    engineering judgement, no source; every result from it is marked “generic curve”.
    """
    rows = [row for row in read_table("generic_shapes") if row["wheel"] == wheel]
    flow, pressure, power = (np.array([float(row[column]) for row in rows]) for column in ("flow", "pressure", "power"))
    efficiency = float(rows[0]["best_efficiency"])
    return Shape(wheel, efficiency, float(flow[-1]), PchipInterpolator(flow, pressure), PchipInterpolator(flow, power))


def affinity_scale(
    speed_ratio: Array, diameter_ratio: float = 1.0, density_ratio: float = 1.0
) -> tuple[Array, Array, Array]:
    """Ratios of flow, pressure and shaft power: q ∝ n d³, p ∝ ρ n² d², P ∝ ρ n³ d⁵.

    :param speed_ratio: new speed over old.
    :param diameter_ratio: new impeller diameter over old, geometrically similar machines.
    :param density_ratio: new density over old.

    Validity: corresponding points of one machine's curves; the same point of a duct only where the whole system pressure
    goes as flow squared. Source: AMCA Publication 201; ASHRAE Handbook, HVAC Systems and Equipment, fans chapter.
    """
    flow = speed_ratio * diameter_ratio**3
    pressure = density_ratio * speed_ratio**2 * diameter_ratio**2
    power = density_ratio * speed_ratio**3 * diameter_ratio**5
    return flow, pressure, power


@dataclass(frozen=True)
class MachineCurve:
    """A generic shape put through one known point.

    :param shape: the generic shape.
    :param flow: flow at the known point, m³/s (or 1 on relative axes).
    :param pressure: pressure there, Pa (or 1).
    :param power: shaft power there, W.
    :param place: where the known point lies on the shape, as relative flow.

    The four may be arrays of shape ``(scenarios, 1)``; speed is relative to that of the known point.
    """

    shape: Shape
    flow: Array
    pressure: Array
    power: Array
    place: Array

    def pressure_at(self, flow: Array, speed_ratio: Array) -> Array:
        """Pressure at a flow and speed, in the unit of ``pressure``; NaN beyond the curve's end."""
        flow_scale, pressure_scale, _ = affinity_scale(speed_ratio)
        return self._pressure_unit * pressure_scale * self._on_shape(self.shape.pressure, flow / flow_scale)

    def power_at(self, flow: Array, speed_ratio: Array) -> Array:
        """Shaft power at a flow and speed, W; NaN beyond the curve's end."""
        flow_scale, _, power_scale = affinity_scale(speed_ratio)
        return self._power_unit * power_scale * self._on_shape(self.shape.power, flow / flow_scale)

    def largest_flow(self, speed_ratio: float = 1.0) -> float:
        """Flow at free delivery for the nominal scenario."""
        return float(np.ravel(self.flow)[0] * speed_ratio * self.shape.last_flow / np.ravel(self.place)[0])

    @cached_property
    def _pressure_unit(self) -> Array:
        return self.pressure / self.shape.pressure(self.place)

    @cached_property
    def _power_unit(self) -> Array:
        return self.power / self.shape.power(self.place)

    def _on_shape(self, curve: PchipInterpolator, flow: Array) -> Array:
        here = self.place / self.flow * flow
        inside = (here >= 0) & (here <= self.shape.last_flow)
        return np.where(inside, curve(np.where(inside, here, 1.0)), np.nan)


def shaft_power_from_air_w(flow_m3s: Array, pressure_pa: Array, efficiency: Array) -> Array:
    """Shaft power P = q p / η in W, from flow in m³/s, pressure in Pa and the machine's efficiency as a fraction.

    :raises OutsideValidity: an efficiency not above zero.

    Source: definition of fan (static) and pump efficiency; AMCA 210.
    """
    if np.any(efficiency <= 0):
        raise OutsideValidity("The efficiency of a fan or pump must be above zero.")
    return flow_m3s * pressure_pa / efficiency
