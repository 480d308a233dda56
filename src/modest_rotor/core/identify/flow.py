"""Where on its curve a machine runs: shaft power from the motor and static pressure, weighed along the flow axis."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import COVERAGE_95, Array
from modest_rotor.core.physics.fan import MachineCurve, Shape, affinity_scale
from modest_rotor.core.physics.fields import Real
from modest_rotor.core.say import say

PLACES = 240
"""Places along the flow axis; finer than any reading."""
STRONGEST_PLACE_SHARE = 0.02
"""Relative flow below which a running fan is not looked for."""
TABLE_PRESSURE_SD, TABLE_POWER_SD = 0.025, 0.03
"""How far a made machine strays from its own table, standard deviations as shares. Our judgement; fan rating standards
(AMCA 211) allow about as much."""
GENERIC_PRESSURE_SD, GENERIC_POWER_SD = 0.10, 0.13
"""The same for a generic shape put through one point. Our judgement, no source."""
TAP_POSITION_SD = 0.025
"""Error of a static pressure from where its tap sits in the duct, as a share. Common practice, no source."""


@dataclass(frozen=True)
class Spread:
    """A value with its 95 % range, which may be lopsided.

    :param standard: standard deviation.
    """

    value: float
    low: float
    high: float
    standard: float


@dataclass(frozen=True)
class Place:
    """Where a machine runs.

    :param flow: m³/s.
    :param shaft_power: W, motor side and machine side combined.
    :param misfit: by how many standard deviations motor and machine disagree at the best place of all; 0 with one side alone.
    """

    flow: Spread
    shaft_power: Spread
    misfit: float


def locate(
    machine: MachineCurve,
    speed_ratio: float,
    motor_power: tuple[float, float] | None,
    pressure: tuple[float, float] | None,
) -> Place:
    """Flow and shaft power of a machine at a known speed, from what motor and manometer say.

    :param machine: its curve, at the known point's speed; own table or generic shape.
    :param speed_ratio: measured speed over that of the curve.
    :param motor_power: shaft power from the motor side, W, and its standard deviation; or ``None``.
    :param pressure: static pressure across the machine, Pa, and the standard deviation of the meter; or ``None``.
    :raises OutsideValidity: neither given.

    Every flow along the curve is weighed by how well it explains both; so flat and two-valued stretches need no special
    case. Validity: clean machine, its own kind. Source: Bayes' rule; spreads our judgement, no source.
    """
    if motor_power is None and pressure is None:
        raise OutsideValidity(say("flow-locate"))
    shape = machine.shape
    flow_scale, pressure_scale, power_scale = affinity_scale(speed_ratio)
    place = np.linspace(max(shape.first_flow, STRONGEST_PLACE_SHARE), shape.last_flow, PLACES)
    flow = place * float(machine.flow_unit) * flow_scale
    made = shape.pressure(place) * float(machine.pressure_unit) * pressure_scale
    taken = shape.power(place) * float(machine.power_unit) * power_scale
    w_sd = GENERIC_POWER_SD if shape.generic else TABLE_POWER_SD
    top = float(machine.pressure_unit) * pressure_scale
    square = _square(shape, made, taken, top, motor_power, pressure)
    weight = np.exp(-(square - square.min()) / 2)
    weight /= weight.sum()
    power, power_sd = _combined(taken, w_sd, motor_power)
    misfit = float(np.sqrt(square.min())) if motor_power is not None and pressure is not None else 0.0
    return Place(_spread(flow, np.zeros(PLACES), weight), _spread(power, power_sd, weight), misfit)


def flow_through_known_point(
    shape: Shape,
    known: tuple[float, float, float],
    places: tuple[tuple[float, float], ...],
    speed_ratio: float,
    motor_power: tuple[float, float] | None,
    pressure: tuple[float, float] | None,
) -> tuple[float, float]:
    """Flow of a machine whose known point lies somewhere on its generic curve: the mean of :func:`locate` over the places.

    :param shape: the generic shape. :param known: flow, m³/s, pressure, Pa, and shaft power, W, of the known point.
    :param places: where that point may lie, as relative flow, each with its weight.
    :returns: the flow and its standard deviation, m³/s. The other parameters, errors, validity and source as :func:`locate`.
    """
    if motor_power is None and pressure is None:
        raise OutsideValidity(say("flow-through-known-point"))
    flow_scale, pressure_scale, power_scale = affinity_scale(speed_ratio)
    at, weights = (np.array(column)[:, None] for column in zip(*places, strict=True))
    x = np.linspace(max(shape.first_flow, STRONGEST_PLACE_SHARE), shape.last_flow, PLACES)
    flow = x * (known[0] / at) * flow_scale
    top = known[1] / shape.pressure(at) * pressure_scale
    made, taken = top * shape.pressure(x), known[2] / shape.power(at) * power_scale * shape.power(x)
    square = _square(shape, made, taken, top, motor_power, pressure)
    chance = np.exp(-(square - square.min(axis=1, keepdims=True)) / 2)
    chance = chance / chance.sum(axis=1, keepdims=True) * weights
    mean = float((chance * flow).sum())
    return mean, float(np.sqrt((chance * (flow - mean) ** 2).sum()))


def _square(
    shape: Shape,
    made: Array,
    taken: Array,
    top: Real,
    motor_power: tuple[float, float] | None,
    pressure: tuple[float, float] | None,
) -> Array:
    """Squared distance, in standard deviations, of what was read from what the machine makes and takes at each place."""
    p_sd, w_sd = (GENERIC_PRESSURE_SD, GENERIC_POWER_SD) if shape.generic else (TABLE_PRESSURE_SD, TABLE_POWER_SD)
    square = np.zeros(made.shape)
    if pressure is not None:
        own = p_sd * np.maximum(made, 0.2 * top)
        spread = np.sqrt(pressure[1] ** 2 + own**2 + (TAP_POSITION_SD * pressure[0]) ** 2)
        square = square + ((pressure[0] - made) / spread) ** 2
    if motor_power is not None:
        spread = np.hypot(motor_power[1], w_sd * taken)
        square = square + ((motor_power[0] - taken) / spread) ** 2
    return square


def _combined(taken: Array, share: float, motor_power: tuple[float, float] | None) -> tuple[Array, Array]:
    """At each place: the machine's power weighed with the motor's."""
    own = share * taken
    if motor_power is None:
        return taken, own
    value, spread = motor_power
    by_motor = own**2 / (own**2 + spread**2)
    return taken + by_motor * (value - taken), own * spread / np.hypot(own, spread)


def _spread(values: Array, spreads: Array, weight: Array) -> Spread:
    mean = float(weight @ values)
    standard = float(np.sqrt(weight @ ((values - mean) ** 2 + spreads**2)))
    order = np.argsort(values)
    total = np.cumsum(weight[order]) - weight[order] / 2
    low, high = np.interp([0.025, 0.975], total, values[order])
    inner = COVERAGE_95 * float(np.sqrt(weight @ spreads**2))
    return Spread(mean, mean - float(np.hypot(mean - low, inner)), mean + float(np.hypot(high - mean, inner)), standard)
