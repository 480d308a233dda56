"""Air and water against handbook constants and the library fluids."""

from __future__ import annotations

import pytest
from fluids.atmosphere import ATMOSPHERE_1976

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.physics.medium import (
    SEA_LEVEL_PA,
    air_density,
    air_heat_per_flow,
    standard_pressure_pa,
    water_properties,
)
from tests.said import refused_with

FT, CFM, GPM, BTU_H, F = 0.3048, 0.0004719474432, 6.30901964e-5, 0.29307107, 5 / 9


@pytest.mark.parametrize("feet", [-1000, 0, 1000, 5000, 5280, 10000])
def test_standard_atmosphere(feet: float) -> None:
    """US Standard Atmosphere 1976 by fluids 1.3; the handbook's power law follows it to 0.04 %."""
    assert standard_pressure_pa(feet * FT) == pytest.approx(ATMOSPHERE_1976(feet * FT).P, rel=4e-4)


@pytest.mark.parametrize(
    ("feet", "factor"), [(1000, 1.0415404), (5000, 0.89865227), (7500, 0.81774607), (10000, 0.74285902)]
)
def test_the_factor_of_sensible_heat_falls_with_pressure(feet: float, factor: float) -> None:
    """1.08 Btu/h per cfm and °F at the sea, times p ÷ p_0 at the same temperature (fluids and psychrolib agree)."""
    at = air_heat_per_flow(21.1, standard_pressure_pa(feet * FT)) / air_heat_per_flow(21.1)
    assert 1.08 * at == pytest.approx(factor, rel=1e-3)


def test_air_at_seventy_degrees_fahrenheit() -> None:
    """1.2000 kg/m³ (CoolProp); 1.0784 Btu/h per cfm and °F dry, 1.0812 at a humidity ratio of 0.01 (psychrolib)."""
    celsius = (70 - 32) * F
    assert air_density(celsius) == pytest.approx(1.2000143, rel=5e-4)
    in_ip = CFM * F / BTU_H
    assert air_heat_per_flow(celsius) * in_ip == pytest.approx(1.0784109, rel=4e-3)
    assert air_heat_per_flow(celsius, SEA_LEVEL_PA, 0.010) * in_ip == pytest.approx(1.0812463, rel=4e-3)
    assert air_heat_per_flow((95 - 32) * F, SEA_LEVEL_PA, 0.014) * in_ip == pytest.approx(1.0335717, rel=4e-3)


@pytest.mark.parametrize(
    ("fahrenheit", "factor"), [(45, 502.22327), (60, 500.32608), (100, 496.33287), (180, 487.24795)]
)
def test_the_factor_of_water(fahrenheit: float, factor: float) -> None:
    """“500” Btu/h per gpm and °F, as IAPWS-95 has it at four temperatures (CoolProp)."""
    density, heat = water_properties((fahrenheit - 32) * F)
    assert density * heat * GPM * F / BTU_H == pytest.approx(factor, rel=1e-3)


def test_outside_is_refused() -> None:
    with refused_with(OutsideValidity, "medium-standard-pressure-pa"):
        standard_pressure_pa(20000.0)
    with refused_with(OutsideValidity, "lookup-between"):
        water_properties(110.0)
    with refused_with(OutsideValidity, "medium-refuse-temperature"):
        air_density(300.0)
