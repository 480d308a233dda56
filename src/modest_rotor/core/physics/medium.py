"""Air and water: density and the heat they carry, against altitude and temperature."""

from __future__ import annotations

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.physics.fields import Real
from modest_rotor.core.quantities import in_both_units
from modest_rotor.core.say import say
from modest_rotor.core.standards.lookup import between
from modest_rotor.core.tables import read_table

SEA_LEVEL_PA = 101325.0
LAPSE_PER_M, ALTITUDE_EXPONENT = 2.25577e-5, 5.2559
LOWEST_M, HIGHEST_M = -500.0, 11000.0
GAS_DRY_AIR, VAPOUR_RATIO = 287.055, 1.607858
"""Gas constant of dry air, J/(kg K), and molar mass of dry air over that of water."""
HEAT_DRY_AIR, HEAT_VAPOUR = 1006.0, 1860.0
"""Specific heats, J/(kg K)."""
ZERO_C_K = 273.15
WATER = "water_properties"
COLDEST_C, WARMEST_C = -60.0, 120.0


def standard_pressure_pa(altitude_m: float) -> float:
    """Pressure of the standard atmosphere, p = 101325 (1 − 2.25577·10⁻⁵ z)^5.2559, Pa.

    :param altitude_m: z above the sea, m. :raises OutsideValidity: outside −500 to 11,000 m.

    Source: US Standard Atmosphere 1976; ASHRAE Handbook, Fundamentals, psychrometrics chapter.
    """
    if not LOWEST_M <= altitude_m <= HIGHEST_M:
        raise OutsideValidity(
            say(
                "medium-standard-pressure-pa",
                in_both_units=in_both_units(altitude_m, "altitude"),
                in_both_units_2=in_both_units(LOWEST_M, "altitude"),
                in_both_units_3=in_both_units(HIGHEST_M, "altitude"),
            )
        )
    return float(SEA_LEVEL_PA * (1 - LAPSE_PER_M * altitude_m) ** ALTITUDE_EXPONENT)


def air_density(temperature_c: Real, pressure_pa: Real = SEA_LEVEL_PA, humidity_ratio: Real = 0.0) -> Real:
    """Density of moist air ρ = p (1 + W) / (R T (1 + 1.6079 W)), kg/m³.

    :param temperature_c: °C. :param pressure_pa: Pa. :param humidity_ratio: W, kg of water to a kg of dry air.
    :raises OutsideValidity: temperature outside −60 to 120 °C.

    Validity: ideal gas, within 0.1 %. Source: ASHRAE Handbook, Fundamentals, psychrometrics chapter.
    """
    _refuse_temperature(temperature_c)
    kelvin = temperature_c + ZERO_C_K
    return pressure_pa * (1 + humidity_ratio) / (GAS_DRY_AIR * kelvin * (1 + VAPOUR_RATIO * humidity_ratio))


def air_heat_per_flow(temperature_c: Real, pressure_pa: Real = SEA_LEVEL_PA, humidity_ratio: Real = 0.0) -> Real:
    """Sensible heat that a flow of air carries for each kelvin, (1006 + 1860 W) ρ/(1 + W), W/(m³/s · K).

    Parameters, errors and validity as :func:`air_density`. Source: the same; 1.207 W/(L/s K) is 1.08 Btu/h per cfm and °F.
    """
    dry = air_density(temperature_c, pressure_pa, humidity_ratio) / (1 + humidity_ratio)
    return (HEAT_DRY_AIR + HEAT_VAPOUR * humidity_ratio) * dry


def water_properties(temperature_c: float) -> tuple[float, float]:
    """Density, kg/m³, and specific heat, J/(kg K), of water.

    :param temperature_c: 0 to 100 °C. :raises OutsideValidity: outside.

    Validity: atmospheric pressure; a circuit's pressure changes neither by 0.1 %. Source: IAPWS-95, table water_properties.
    """
    rows = list(read_table(WATER))
    density, heat = (
        between(WATER, rows, "temperature", name, temperature_c, "°C") for name in ("density", "specific_heat")
    )
    return density, heat


def _refuse_temperature(temperature_c: Real) -> None:
    if isinstance(temperature_c, float) and not COLDEST_C <= temperature_c <= WARMEST_C:
        raise OutsideValidity(
            say(
                "medium-refuse-temperature",
                in_both_units=in_both_units(temperature_c, "temperature"),
                in_both_units_2=in_both_units(COLDEST_C, "temperature"),
                in_both_units_3=in_both_units(WARMEST_C, "temperature"),
            )
        )
