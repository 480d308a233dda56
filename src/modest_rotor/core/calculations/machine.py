"""Calculations of fans, pumps, systems, air and water."""

from __future__ import annotations

import numpy as np

from modest_rotor.core.calculations.calculation import Calculation, Input, Output
from modest_rotor.core.entry import read_entry
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.physics.fan import affinity_scale, shaft_power_from_air_w, trimmed_scale
from modest_rotor.core.physics.medium import (
    air_density,
    air_heat_per_flow,
    standard_pressure_pa,
    water_properties,
)
from modest_rotor.core.physics.system import system_through
from modest_rotor.core.physics.traverse import TraverseRule, places_along_side, traverse_flow_m3s, velocity_ms

MACHINE, MEDIUM = "fans, pumps and systems", "air and water"
AFFINITY = "Affinity laws: AMCA Publication 201; ASHRAE Handbook, fans chapter."
AIR = "ASHRAE Handbook, Fundamentals, psychrometrics chapter."
ALTITUDE = Input("altitude", "z", "height above the sea", "altitude", default="0 m")
HUMIDITY = Input("humidity_ratio", "W", "kg of water to a kg of dry air", "humidity_ratio", default="0 %")
AIR_TEMPERATURE = Input("temperature", "t", "temperature of the air", "temperature")
AREA = Input("area", "A", "section of the duct inside", "area")
USUAL_ALONG_SIDE = 5
AIRFLOW = Input("airflow", "q", "airflow", "airflow")
WATER_FLOW = Input("water_flow", "q", "water flow", "water_flow")
DIFFERENCE = Input("temperature_difference", "Δt", "temperature difference", "temperature_difference")


def _affinity(old: float, new: float, flow: float, pressure: float, power: float) -> tuple[float, float, float]:
    if old <= 0:
        raise OutsideValidity("A machine that stands still has no affinity: the old speed lies above 0 rpm.")
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
        raise OutsideValidity("A power before lies above 0 W, and one after at or above it.")
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
    where = ", ".join(f"{100 * place:.1f}" for place in side)
    return flow, speed, f"Of {len(points)} points. By {chosen} five along a side lie at {where} % of it."


MACHINES: tuple[Calculation, ...] = (
    Calculation(
        "affinity", "Another speed of a fan or pump", MACHINE,
        (Input("old_speed", "n_1", "speed before", "speed"), Input("new_speed", "n_2", "speed after", "speed"), AIRFLOW,
         Input("pressure", "p", "pressure", "pressure"), Input("shaft_power", "P", "shaft power", "shaft_power")),
        (Output("Flow", "airflow"), Output("Pressure", "pressure"), Output("Shaft power", "shaft_power")),
        "q ∝ n, p ∝ n², P ∝ n³", AFFINITY, _affinity,
        "Corresponding points of the machine; the same duct only where no pressure stays at no flow.",
    ),
    Calculation(
        "speed_for_power", "Speed that takes a given power", MACHINE,
        (Input("old_speed", "n_1", "speed before", "speed"), Input("shaft_power", "P_1", "shaft power before", "shaft_power"),
         Input("new_power", "P_2", "shaft power after", "shaft_power")),
        (Output("Speed", "speed"),), "n_2 = n_1 (P_2 ÷ P_1)^⅓", AFFINITY, _speed_for_power, "A duct or circuit where no pressure stays at no flow.",
    ),
    Calculation(
        "trimmed_impeller", "A pump's impeller turned down", MACHINE,
        (Input("diameter_share", "d_2 ÷ d_1", "diameter after over before", "diameter_share"), WATER_FLOW,
         Input("pump_differential", "p", "differential", "pump_differential"), Input("shaft_power", "P", "shaft power", "shaft_power")),
        (Output("Flow", "water_flow"), Output("Differential", "pump_differential"), Output("Shaft power", "shaft_power")),
        "q ∝ d, p ∝ d², P ∝ d³", "ANSI/HI 14.3; common practice.", _trimmed, "Trims to about 80 %; not the law of larger and smaller machines alike in shape.",
    ),
    Calculation(
        "velocity", "Speed and flow from one velocity pressure", MACHINE,
        (Input("velocity_pressure", "p_v", "velocity pressure", "pressure"), AREA, AIR_TEMPERATURE, ALTITUDE),
        (Output("Speed", "air_speed"), Output("Flow", "airflow")), "v = √(2 p_v ÷ ρ), q = v A", "Bernoulli; ASHRAE Handbook, Fundamentals.", _velocity,
        "One point tells the mean of a section only where the profile is known.",
    ),
    Calculation(
        "traverse", "Flow by a traverse", MACHINE,
        (Input("velocity_pressures", "p_v", "velocity pressures, with commas between", None), AREA, AIR_TEMPERATURE, ALTITUDE,
         Input("rule", "rule", "how the points were laid", None, tuple(TraverseRule), default=TraverseRule.LOG_TCHEBYCHEFF)),
        (Output("Flow", "airflow"), Output("Mean speed", "air_speed"), Output("Where", None)), "q = A Σ √(2 p_v ÷ ρ) ÷ n",
        "ASHRAE Standard 111; ISO 3966.", _traverse, "The points weigh alike by the rule that was chosen; never the root of the mean pressure.",
    ),
    Calculation(
        "air_power", "Shaft power of a fan", MACHINE,
        (AIRFLOW, Input("pressure", "p", "static pressure across it", "pressure"), Input("efficiency", "η", "static efficiency", "efficiency")),
        (Output("Shaft power", "shaft_power"),), "P = q p ÷ η", "Definition; AMCA 210.", shaft_power_from_air_w,
    ),
    Calculation(
        "pump_power", "Shaft power of a pump", MACHINE,
        (WATER_FLOW, Input("pump_differential", "p", "discharge less suction", "pump_differential"), Input("efficiency", "η", "pump efficiency", "efficiency")),
        (Output("Shaft power", "shaft_power"),), "P = q p ÷ η", "Definition; ISO 9906.", shaft_power_from_air_w,
    ),
    Calculation(
        "system_flow", "Another flow on the same system", MACHINE,
        (AIRFLOW, Input("pressure", "p", "pressure at it", "pressure"), Input("held_pressure", "p_0", "pressure that stays at no flow", "held_pressure", default="0 Pa"),
         Input("wanted", "q_2", "flow wanted", "airflow")),
        (Output("Pressure needed", "pressure"), Output("Air power over that before", "ratio")),
        "p_2 = p_0 + (p − p_0)(q_2 ÷ q)²", "Darcy–Weisbach, turbulent; ASHRAE Handbook, Fundamentals, duct design chapter.", _flow_on_system,
    ),
    Calculation(
        "altitude_pressure", "Pressure of the air at a height", MEDIUM, (Input("altitude", "z", "height above the sea", "altitude"),),
        (Output("Pressure of the air", "air_pressure"), Output("over that at the sea", "ratio")), "p = 101,325 (1 − 2.25577·10⁻⁵ z)^5.2559 Pa",
        "US Standard Atmosphere 1976; " + AIR, lambda z: (standard_pressure_pa(z), standard_pressure_pa(z) / standard_pressure_pa(0.0)),
    ),
    Calculation(
        "air_density", "Density of air", MEDIUM, (AIR_TEMPERATURE, ALTITUDE, HUMIDITY), (Output("Density", "density"),),
        "ρ = p (1 + W) ÷ (287.055 T (1 + 1.6079 W))", AIR, lambda t, z, w: float(air_density(t, standard_pressure_pa(z), w)),
    ),
    Calculation(
        "air_heat", "Sensible heat of an airflow", MEDIUM, (AIRFLOW, DIFFERENCE, AIR_TEMPERATURE, ALTITUDE, HUMIDITY), (Output("Sensible heat", "heat_flow"),),
        "Q = q Δt (1006 + 1860 W) ρ ÷ (1 + W)", AIR, _air_heat, "Temperature of the air where the flow was measured. Latent heat is not in it.",
    ),
    Calculation(
        "water_heat", "Heat of a water flow", MEDIUM, (WATER_FLOW, DIFFERENCE, Input("temperature", "t", "temperature of the water", "temperature")),
        (Output("Heat", "heat_flow"),), "Q = q ρ c Δt", "IAPWS-95, table water_properties.", _water_heat, "Plain water; glycol carries less.",
    ),
    Calculation(
        "hydraulic_power", "Power in a flow", MACHINE, (WATER_FLOW, Input("pump_differential", "p", "pressure", "pump_differential")),
        (Output("Power in the water", "shaft_power"),), "q p", "Definition.", _hydraulic,
    ),
)  # fmt: skip
