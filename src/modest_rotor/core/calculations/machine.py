"""Calculations of fans, pumps, systems, air and water."""

from __future__ import annotations

import numpy as np

from modest_rotor.core.calculations.calculation import Calculation, Input, Output
from modest_rotor.core.entry import read_entry
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.physics.fan import affinity_scale, shaft_power_from_air_w, trimmed_scale
from modest_rotor.core.physics.medium import air_density, air_heat_per_flow, standard_pressure_pa, water_properties
from modest_rotor.core.physics.system import system_through
from modest_rotor.core.physics.traverse import TraverseRule, places_along_side, traverse_flow_m3s, velocity_ms
from modest_rotor.core.say import joined, say

MACHINE, MEDIUM = say("calculations-machine-these-fans-pumps"), say("calculations-machine-these-air-water")
AFFINITY = say("calculations-machine-affinity")
AIR = say("calculations-machine-air")
ALTITUDE = Input("altitude", "z", say("term-height-above-the-sea"), "altitude", default="0 m")
HUMIDITY = Input("humidity_ratio", "W", say("calculations-machine-humidity"), "humidity_ratio", default="0 %")
AIR_TEMPERATURE = Input("temperature", "t", say("calculations-machine-air-temperature"), "temperature")
AREA = Input("area", "A", say("calculations-machine-area"), "area")
USUAL_ALONG_SIDE = 5
AIRFLOW = Input("airflow", "q", say("calculations-machine-airflow"), "airflow")
WATER_FLOW = Input("water_flow", "q", say("calculations-machine-water-flow"), "water_flow")
DIFFERENCE = Input("temperature_difference", "Δt", say("calculations-machine-difference"), "temperature_difference")


def _affinity(old: float, new: float, flow: float, pressure: float, power: float) -> tuple[float, float, float]:
    if old <= 0:
        raise OutsideValidity(say("calculations-machine-affinity-2"))
    q, p, w = affinity_scale(new / old)
    return flow * q, pressure * p, power * w


def _flow_on_system(flow: float, pressure: float, fixed: float, wanted: float) -> tuple[float, float]:
    system = system_through(flow, pressure, fixed)
    needed = float(system.pressure_at(wanted))
    return needed, wanted * needed / (flow * pressure)


def _air_heat(flow: float, difference: float, temperature: float, altitude: float, humidity: float) -> float:
    return float(flow * difference * air_heat_per_flow(temperature, standard_pressure_pa(altitude), humidity))


def _water_heat(flow: float, difference: float, temperature: float) -> float:
    density, heat = water_properties(temperature)
    return flow * difference * density * heat


def _hydraulic(flow: float, head: float) -> float:
    return flow * head


def _speed_for_power(old: float, before: float, after: float) -> float:
    if before <= 0 or after < 0:
        raise OutsideValidity(say("calculations-machine-speed-for-power"))
    return old * float((after / before) ** (1 / 3))


def _trimmed(ratio: float, flow: float, pressure: float, power: float) -> tuple[float, float, float]:
    q, p, w = trimmed_scale(ratio)
    return flow * q, pressure * p, power * w


def _density(temperature: float, altitude: float) -> float:
    return float(air_density(temperature, standard_pressure_pa(altitude)))


def _velocity(pressure: float, area: float, temperature: float, altitude: float) -> tuple[float, float]:
    speed = float(velocity_ms(pressure, _density(temperature, altitude)))
    return speed, speed * area


def _traverse(typed: str, area: float, temperature: float, altitude: float, rule: str) -> tuple[float, float, str]:
    points = np.array(
        [read_entry("pressure", piece, "si").si for piece in typed.replace(";", ",").split(",") if piece.strip()]
    )
    flow, speed = traverse_flow_m3s(points, area, _density(temperature, altitude))
    chosen = TraverseRule(rule)
    side = places_along_side(chosen, USUAL_ALONG_SIDE)
    where = joined(", ", (f"{100 * place:.1f}" for place in side))
    return flow, speed, say("calculations-machine-traverse", points=len(points), chosen=chosen, where=where)


MACHINES: tuple[Calculation, ...] = (
    Calculation(
        "affinity", say("calculations-machine-machines-another-speed"), MACHINE,
        (Input("old_speed", "n_1", say("calculations-machine-machines-speed-before"), "speed"), Input("new_speed", "n_2", say("calculations-machine-machines-speed-after"), "speed"), AIRFLOW,
         Input("pressure", "p", say("term-pressure"), "pressure"), Input("shaft_power", "P", say("term-shaft-power"), "shaft_power")),
        (Output(say("calculations-machine-machines-flow"), "airflow"), Output(say("calculations-machine-machines-pressure-2"), "pressure"), Output(say("label-shaft-power"), "shaft_power")),
        "q ∝ n, p ∝ n², P ∝ n³", AFFINITY, _affinity,
        say("calculations-machine-machines-corresponding-points"),
    ),
    Calculation(
        "speed_for_power", say("calculations-machine-machines-speed-takes"), MACHINE,
        (Input("old_speed", "n_1", say("calculations-machine-machines-speed-before"), "speed"), Input("shaft_power", "P_1", say("calculations-machine-machines-shaft-power-before"), "shaft_power"),
         Input("new_power", "P_2", say("calculations-machine-machines-shaft-power-after"), "shaft_power")),
        (Output(say("calculations-machine-machines-speed"), "speed"),), "n_2 = n_1 (P_2 ÷ P_1)^⅓", AFFINITY, _speed_for_power, say("calculations-machine-machines-duct-circuit"),
    ),
    Calculation(
        "trimmed_impeller", say("calculations-machine-machines-pump-s"), MACHINE,
        (Input("diameter_share", "d_2 ÷ d_1", say("calculations-machine-machines-diameter-after"), "diameter_share"), WATER_FLOW,
         Input("pump_differential", "p", say("calculations-machine-machines-differential"), "pump_differential"), Input("shaft_power", "P", say("term-shaft-power"), "shaft_power")),
        (Output(say("calculations-machine-machines-flow"), "water_flow"), Output(say("calculations-machine-machines-differential-2"), "pump_differential"), Output(say("label-shaft-power"), "shaft_power")),
        "q ∝ d, p ∝ d², P ∝ d³", say("calculations-machine-machines-ansi-hi"), _trimmed, say("calculations-machine-machines-trims-about"),
    ),
    Calculation(
        "velocity", say("calculations-machine-machines-speed-flow"), MACHINE,
        (Input("velocity_pressure", "p_v", say("calculations-machine-machines-velocity-pressure"), "pressure"), AREA, AIR_TEMPERATURE, ALTITUDE),
        (Output(say("calculations-machine-machines-speed"), "air_speed"), Output(say("calculations-machine-machines-flow"), "airflow")), "v = √(2 p_v ÷ ρ), q = v A", say("calculations-machine-machines-bernoulli-ashrae"), _velocity,
        say("calculations-machine-machines-one-point"),
    ),
    Calculation(
        "traverse", say("calculations-machine-machines-flow-traverse"), MACHINE,
        (Input("velocity_pressures", "p_v", say("calculations-machine-machines-velocity-pressures"), None), AREA, AIR_TEMPERATURE, ALTITUDE,
         Input("rule", "rule", say("calculations-machine-machines-how-points"), None, tuple(TraverseRule), default=TraverseRule.LOG_TCHEBYCHEFF)),
        (Output(say("calculations-machine-machines-flow"), "airflow"), Output(say("calculations-machine-machines-mean-speed"), "air_speed"), Output(say("label-where"), None)), "q = A Σ √(2 p_v ÷ ρ) ÷ n",
        say("calculations-machine-machines-ashrae-standard"), _traverse, say("calculations-machine-machines-points-weigh"),
    ),
    Calculation(
        "air_power", say("calculations-machine-machines-shaft-power-fan"), MACHINE,
        (AIRFLOW, Input("pressure", "p", say("calculations-machine-machines-static-pressure"), "pressure"), Input("efficiency", "η", say("calculations-machine-machines-static-efficiency"), "efficiency")),
        (Output(say("label-shaft-power"), "shaft_power"),), "P = q p ÷ η", say("calculations-machine-machines-definition-amca"), shaft_power_from_air_w,
    ),
    Calculation(
        "pump_power", say("calculations-machine-machines-shaft-power-pump"), MACHINE,
        (WATER_FLOW, Input("pump_differential", "p", say("term-discharge-less-suction"), "pump_differential"), Input("efficiency", "η", say("calculations-machine-machines-pump-efficiency"), "efficiency")),
        (Output(say("label-shaft-power"), "shaft_power"),), "P = q p ÷ η", say("calculations-machine-machines-definition-iso"), shaft_power_from_air_w,
    ),
    Calculation(
        "system_flow", say("calculations-machine-machines-another-flow"), MACHINE,
        (AIRFLOW, Input("pressure", "p", say("calculations-machine-machines-pressure-3"), "pressure"), Input("static_pressure_set_point", "p_0", say("calculations-machine-machines-pressure-stays"), "static_pressure_set_point", default="0 Pa"),
         Input("wanted", "q_2", say("calculations-machine-machines-flow-wanted"), "airflow")),
        (Output(say("calculations-machine-machines-pressure-needed"), "pressure"), Output(say("calculations-machine-machines-air-power"), "ratio")),
        "p_2 = p_0 + (p − p_0)(q_2 ÷ q)²", say("calculations-machine-machines-darcy-weisbach"), _flow_on_system,
    ),
    Calculation(
        "altitude_pressure", say("calculations-machine-machines-pressure-air"), MEDIUM, (Input("altitude", "z", say("term-height-above-the-sea"), "altitude"),),
        (Output(say("calculations-machine-machines-pressure-air-2"), "air_pressure"), Output(say("calculations-machine-machines-over-sea"), "ratio")), "p = 101,325 (1 − 2.25577·10⁻⁵ z)^5.2559 Pa",
        say("calculations-machine-machines-us-standard", air=AIR), lambda z: (standard_pressure_pa(z), standard_pressure_pa(z) / standard_pressure_pa(0.0)),
    ),
    Calculation(
        "air_density", say("calculations-machine-machines-density-air"), MEDIUM, (AIR_TEMPERATURE, ALTITUDE, HUMIDITY), (Output(say("calculations-machine-machines-density"), "density"),),
        "ρ = p (1 + W) ÷ (287.055 T (1 + 1.6079 W))", AIR, lambda t, z, w: float(air_density(t, standard_pressure_pa(z), w)),
    ),
    Calculation(
        "air_heat", say("calculations-machine-machines-sensible-heat"), MEDIUM, (AIRFLOW, DIFFERENCE, AIR_TEMPERATURE, ALTITUDE, HUMIDITY), (Output(say("calculations-machine-machines-sensible-heat-2"), "heat_flow"),),
        "Q = q Δt (1006 + 1860 W) ρ ÷ (1 + W)", AIR, _air_heat, say("calculations-machine-machines-temperature-air"),
    ),
    Calculation(
        "water_heat", say("calculations-machine-machines-heat-water"), MEDIUM, (WATER_FLOW, DIFFERENCE, Input("temperature", "t", say("calculations-machine-machines-temperature-water"), "temperature")),
        (Output(say("calculations-machine-machines-heat"), "heat_flow"),), "Q = q ρ c Δt", say("calculations-machine-machines-iapws-table"), _water_heat, say("calculations-machine-machines-plain-water"),
    ),
    Calculation(
        "hydraulic_power", say("calculations-machine-machines-power-flow"), MACHINE, (WATER_FLOW, Input("pump_differential", "p", say("term-pressure"), "pump_differential")),
        (Output(say("calculations-machine-machines-power-water"), "shaft_power"),), "q p", say("word-definition"), _hydraulic,
    ),
)  # fmt: skip
