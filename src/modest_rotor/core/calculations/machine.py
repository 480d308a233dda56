"""Calculations of fans, pumps, systems, air and water."""

from __future__ import annotations

from modest_rotor.core.calculations.calculation import Calculation, Input, Output
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.physics.fan import affinity_scale, shaft_power_from_air_w
from modest_rotor.core.physics.medium import (
    air_density,
    air_heat_per_flow,
    standard_pressure_pa,
    water_properties,
)
from modest_rotor.core.physics.system import system_through

MACHINE, MEDIUM = "fans, pumps and systems", "air and water"
AFFINITY = "Affinity laws: AMCA Publication 201; ASHRAE Handbook, fans chapter."
AIR = "ASHRAE Handbook, Fundamentals, psychrometrics chapter."
ALTITUDE = Input("altitude", "z", "height above the sea", "altitude", default="0 m")
HUMIDITY = Input("humidity_ratio", "W", "kg of water to a kg of dry air", "humidity_ratio", default="0 %")
AIR_TEMPERATURE = Input("temperature", "t", "temperature of the air", "temperature")
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
