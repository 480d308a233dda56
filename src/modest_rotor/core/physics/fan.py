"""Fans and pumps: a generic shape or the machine's own table, put through a known point and moved by the affinity laws."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, replace
from functools import cache, cached_property

import numpy as np

from modest_rotor.core.coded import Coded
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import Array
from modest_rotor.core.physics.curve import MonotoneCurve, curve_through
from modest_rotor.core.physics.fields import HAIR, NEVER_ZERO, Real
from modest_rotor.core.quantities import in_both_units
from modest_rotor.core.say import Number, listed, say
from modest_rotor.core.tables import read_table

FINE = 600
"""Places along a curve, or sizes of one, at which a search looks; finer than any reading."""
FEWEST_ROWS = 4
"""Rows of a machine's own table: with fewer a peak or a dip cannot be seen. Our judgement, no source."""


@dataclass(frozen=True)
class Medium:
    """What a machine moves, and how it is told.

    :param machine: how the tables call a machine that moves it. :param flow: quantity of its flow. :param pressure: of the pressure
        across the machine. :param flow_label: the flow in words. :param logged_pressure: column of a log in which that pressure stands.
    """

    machine: str
    flow: str
    pressure: str
    flow_label: str
    logged_pressure: str


AIR = Medium("fan", "airflow", "pressure", say("word-airflow"), "static")
WATER = Medium("pump", "water_flow", "pump_differential", say("label-water-flow"), "differential")


class MachineType(Coded):
    """What the motor drives."""

    FORWARD_CURVED = "forward-curved"
    BACKWARD_INCLINED = "backward-inclined"
    AXIAL = "axial"
    PUMP = "pump"


def medium_of(machine_type: MachineType | None) -> Medium:
    """What a machine moves: air where nobody said what the motor drives. Source: definition."""
    return WATER if machine_type is MachineType.PUMP else AIR


@dataclass(frozen=True)
class Shape:
    """A machine's curves at one speed, relative to its best-efficiency point (there flow, pressure and power are 1).

    :param best_efficiency: efficiency at that point, a fraction (static efficiency for fans).
    :param first_flow: relative flow at which the curves begin.
    :param last_flow: relative flow at which they end; of a generic shape, where the pressure reaches zero.
    :param generic: whether it is the generic shape of its kind and not the machine's own table.
    """

    machine_type: MachineType
    best_efficiency: float
    first_flow: float
    last_flow: float
    pressure: MonotoneCurve
    power: MonotoneCurve
    generic: bool = True

    def efficiency(self, flow: Array) -> Array:
        """Efficiency at a relative flow, a fraction. Source: definition, q p ÷ P."""
        return np.asarray(self.best_efficiency * flow * self.pressure(flow) / self.power(flow))


@cache
def generic_shape(machine_type: MachineType) -> Shape:
    """The generic curves of a kind of wheel, by monotone cubic interpolation between the points of its table.

    Validity: shut-off to free delivery of an ordinary machine of the kind; no particular make. Source: our own
    engineering judgement, no source; every result from it is marked “generic curve”.
    """
    rows = [row for row in read_table("generic_shapes") if row["machine_type"] == machine_type]
    flow, pressure, power = (np.array([float(row[column]) for row in rows]) for column in ("flow", "pressure", "power"))
    efficiency = float(rows[0]["best_efficiency"])
    return Shape(
        machine_type,
        efficiency,
        float(flow[0]),
        float(flow[-1]),
        curve_through(flow, pressure),
        curve_through(flow, power),
    )


def affinity_scale(speed_ratio: Real, diameter_ratio: Real = 1.0, density_ratio: Real = 1.0) -> tuple[Real, Real, Real]:
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


def trimmed_scale(diameter_ratio: Real) -> tuple[Real, Real, Real]:
    """Ratios of flow, head and shaft power of one impeller turned down in its casing: q ∝ d, p ∝ d², P ∝ d³.

    :param diameter_ratio: trimmed diameter over full. Not the law of similar machines, where flow goes with d³.

    Validity: trims to about 80 %. Source: ANSI/HI 14.3; common practice.
    """
    return diameter_ratio, diameter_ratio**2, diameter_ratio**3


@dataclass(frozen=True)
class MachineCurve:
    """A shape put through one known point.

    :param shape: the shape.
    :param flow: flow at the known point, m³/s (or 1 on relative axes).
    :param pressure: pressure there, Pa (or 1).
    :param power: shaft power there, W.
    :param place: where the known point lies on the shape, as relative flow.

    :param pressure_strays: logarithm by which this machine's pressure leaves the shape on the way from the known point to no
        flow; ``power_strays`` likewise. Zero for a machine's own table.

    All but the shape may be arrays of shape ``(scenarios, 1)``; speed is relative to that of the known point.
    """

    shape: Shape
    flow: Real
    pressure: Real
    power: Real
    place: Real
    pressure_strays: Real = 0.0
    power_strays: Real = 0.0

    @cached_property
    def flow_unit(self) -> Real:
        """Flow of relative flow 1 at the known speed."""
        return self.flow / self.place

    @cached_property
    def pressure_unit(self) -> Real:
        """Pressure of relative pressure 1 at the known speed."""
        return self.pressure / self.shape.pressure(self.place)

    @cached_property
    def power_unit(self) -> Real:
        """Shaft power of relative power 1 at the known speed, W."""
        return self.power / self.shape.power(self.place)

    def relative_pressure(self, place: Real) -> Real:
        """Pressure at a relative flow over that at 1, as this machine strays from its shape."""
        return self.shape.pressure(place) * self.strayed(self.pressure_strays, place)

    def relative_power(self, place: Real) -> Real:
        """Shaft power likewise."""
        return self.shape.power(place) * self.strayed(self.power_strays, place)

    def strayed(self, by: Real, place: Real) -> Real:
        """What a curve is multiplied with at a relative flow: 1 at the known point, e^by at no flow."""
        if not isinstance(by, np.ndarray) and by == 0:
            return 1.0
        return np.exp(by * np.clip(1 - place / self.place, -1.0, 1.0))

    def pressure_at(self, flow: Array, speed_ratio: Array) -> Array:
        """Pressure at a flow and speed, in the unit of ``pressure``; NaN beyond the curve's end. Source: affinity laws, AMCA 201."""
        flow_scale, pressure_scale, _ = affinity_scale(speed_ratio)
        return np.asarray(
            self.pressure_unit * pressure_scale * self._on_shape(self.relative_pressure, flow / flow_scale)
        )

    def power_at(self, flow: Array, speed_ratio: Array) -> Array:
        """Shaft power at a flow and speed, W; NaN beyond the curve's end. Source: affinity laws, AMCA 201."""
        flow_scale, _, power_scale = affinity_scale(speed_ratio)
        return np.asarray(self.power_unit * power_scale * self._on_shape(self.relative_power, flow / flow_scale))

    def largest_flow(self, speed_ratio: float = 1.0) -> float:
        """Flow at free delivery for the nominal scenario, m³/s. Source: affinity laws, AMCA 201."""
        return float(np.ravel(self.flow)[0] * speed_ratio * self.shape.last_flow / np.ravel(self.place)[0])

    def _on_shape(self, curve: Callable[[Real], Real], flow: Array) -> Array:
        here = np.asarray(self.place / self.flow * flow)
        inside = (here >= self.shape.first_flow) & (here <= self.shape.last_flow)
        return np.where(inside, curve(np.where(inside, here, 1.0)), np.nan)


def machine_from_table(machine_type: MachineType, flow: Array, pressure: Array, shaft_power: Array) -> MachineCurve:
    """A machine from its own table at one speed.

    :param flow: m³/s, growing, shape ``(rows,)``.
    :param pressure: Pa at each flow.
    :param shaft_power: W at each flow.
    :raises OutsideValidity: fewer than four rows, flows that do not grow, or powers and pressures that no machine has.

    Validity: between its first and last row. Source: AMCA 210 and ISO 9906 for what such tables mean; interpolation as in
    :func:`curve_through`.
    """
    if len(flow) < FEWEST_ROWS:
        raise OutsideValidity(say("fan-machine-from-table-machine-s", flow=len(flow), fewest_rows=FEWEST_ROWS))
    if (shaft_power <= 0).any() or (pressure < 0).any() or (flow < 0).any():
        raise OutsideValidity(say("fan-machine-from-table-machine-s-table"))
    efficiency = flow * pressure / shaft_power
    best = int(np.argmax(efficiency))
    if efficiency[best] >= 1:
        raise OutsideValidity(
            say(
                "fan-machine-from-table-machine-s-table-gives",
                in_both_units=in_both_units(float(flow[best]), medium_of(machine_type).flow),
                efficiency=Number(100 * efficiency[best], ".0f"),
            )
        )
    at = flow[best], pressure[best], shaft_power[best]
    shape = Shape(
        machine_type,
        float(efficiency[best]),
        float(flow[0] / at[0]),
        float(flow[-1] / at[0]),
        curve_through(flow / at[0], pressure / at[1], say("fan-machine-from-table-machine-s-table-pressure")),
        curve_through(flow / at[0], shaft_power / at[2], say("fan-machine-from-table-machine-s-table-shaft")),
        generic=False,
    )
    return MachineCurve(shape, float(at[0]), float(at[1]), float(at[2]), 1.0)


def machine_through_points(machine_type: MachineType, flow: Array, pressure: Array, shaft_power: Array) -> MachineCurve:
    """The generic shape of a kind, scaled in flow, pressure and power to fit a few measured points at one speed.

    :param flow: m³/s, pressure in Pa and shaft power in W, each of shape ``(points,)``; two points or more.
    :raises OutsideValidity: fewer than two points, or points that the shape can nowhere pass through.

    The scale of flow is searched on a fine grid; the other two follow from it by least squares on logarithms. Validity: as
    the generic shape. Source: our judgement, no source.
    """
    if len(flow) < 2 or (flow <= 0).any() or (pressure <= 0).any() or (shaft_power <= 0).any():
        raise OutsideValidity(say("fan-machine-through-points-shape-fitted"))
    shape = generic_shape(machine_type)
    units = np.geomspace(float(flow.max()) / shape.last_flow * (1 + HAIR), 5 * float(flow.max()), FINE)[:, np.newaxis]
    place = flow / units
    log_p, log_w = np.log(pressure / shape.pressure(place)), np.log(shaft_power / shape.power(place))
    misfit = np.var(log_p, axis=1) + np.var(log_w, axis=1)
    if not np.isfinite(misfit).any():
        raise OutsideValidity(say("fan-machine-through-points-curve-passes", machine_type=machine_type))
    best = int(np.nanargmin(misfit))
    unit = float(units[best, 0])
    pressure_unit, power_unit = np.exp(log_p[best].mean()), np.exp(log_w[best].mean())
    return MachineCurve(shape, unit, float(pressure_unit), float(power_unit), 1.0)


def resized(machine: MachineCurve, diameter_ratio: Real = 1.0, density_ratio: Real = 1.0) -> MachineCurve:
    """The machine with another impeller of the same proportions, or in air of another density.

    Source: affinity laws, as :func:`affinity_scale`.
    """
    flow, pressure, power = affinity_scale(1.0, diameter_ratio, density_ratio)
    return replace(machine, flow=machine.flow * flow, pressure=machine.pressure * pressure, power=machine.power * power)


def flow_for_pressure(machine: MachineCurve, pressure_pa: float) -> float:
    """The flow at which a machine at its known speed makes a pressure, m³/s.

    :param pressure_pa: Pa.
    :raises OutsideValidity: a pressure that the machine makes nowhere, or at two flows, as a curve with a dip does.

    Validity: the falling part of a curve. Source: AMCA Publication 201, on fan curves that have more than one flow for a
    pressure.
    """
    shape, medium = machine.shape, medium_of(machine.shape.machine_type)
    flows = np.linspace(shape.first_flow, shape.last_flow, FINE)
    over = shape.pressure(flows) * machine.pressure_unit - pressure_pa
    crossings = np.flatnonzero(over[:-1] * over[1:] <= 0)
    if not len(crossings):
        top = float(np.max(shape.pressure(flows)) * machine.pressure_unit)
        raise OutsideValidity(
            say(
                "fan-flow-for-pressure-machine-makes",
                in_both_units=in_both_units(pressure_pa, medium.pressure),
                in_both_units_2=in_both_units(top, medium.pressure),
            )
        )
    at = [
        float(flows[i] - over[i] * (flows[i + 1] - flows[i]) / (over[i + 1] - over[i] + NEVER_ZERO)) for i in crossings
    ]
    if at[-1] - at[0] > 2 * (flows[1] - flows[0]):
        ends = listed(in_both_units(float(place * machine.flow_unit), medium.flow) for place in (at[0], at[-1]))
        raise OutsideValidity(
            say("fan-flow-for-pressure-curve-two", in_both_units=in_both_units(pressure_pa, medium.pressure), ends=ends)
        )
    return at[-1] * float(machine.flow_unit)


def shaft_power_from_air_w(flow_m3s: Real, pressure_pa: Real, efficiency: Real) -> Real:
    """Shaft power P = q p / η in W, from flow in m³/s, pressure in Pa and the machine's efficiency as a fraction.

    :raises OutsideValidity: an efficiency not above zero.

    Source: definition of fan (static) and pump efficiency; AMCA 210.
    """
    if np.any(efficiency <= 0):
        raise OutsideValidity(say("fan-shaft-power-from-air-w"))
    return flow_m3s * pressure_pa / efficiency
