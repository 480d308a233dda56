"""Energy, money, payback: definitions, a printed example, and a ratio's range against drawing at random."""

import math

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from modest_rotor.core.economy import (
    emissions_kg,
    energy_kwh,
    heat_and_cold,
    present_worth_factor,
    simple_payback_years,
    start_energy_kwh,
)
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import exactly, measured
from tests.said import refused_with


@pytest.mark.parametrize(
    ("before", "after", "hours", "kwh"),
    [(270, 220, 8760, 438.0), (500, 200, 4000, 1200.0), (74600 / 0.93, 74600 / 0.944, 8000, 9517)],
)
def test_saving_is_the_difference_of_the_years(before: float, after: float, hours: float, kwh: float) -> None:
    """Definition; the last row is US Department of Energy, motor tip sheet on unbalance: printed 9,517 kWh (from memory)."""
    years = [energy_kwh(((exactly(watts), exactly(hours)),)) for watts in (before, after)]
    assert (years[0] - years[1]).value == pytest.approx(kwh, rel=2e-4)


def test_mean_of_cubes_is_not_cube_of_mean() -> None:
    """Half the year full, half at half flow: 1,000 and 125 W make 562.5 W on average; the mean flow's cube says 422 W."""
    steps = tuple((exactly(1000 * share**3), exactly(4380.0)) for share in (1.0, 0.5))
    assert energy_kwh(steps).value == pytest.approx(8.76 * 562.5)
    assert energy_kwh(steps).value > 1.3 * 8.76 * 1000 * 0.75**3


def test_hours_guessed_once_lean_the_same_way_in_both_years() -> None:
    hours = measured(4000.0, hours=200.0)
    saving = energy_kwh(((exactly(500.0), hours),)) - energy_kwh(((exactly(200.0), hours),))
    assert saving.standard == pytest.approx(300 * 200 / 1000)


def test_option_a_saving_against_uncertainties() -> None:
    """Measured watts, estimated hours (in the manner of IPMVP Option A): 180.0 ± 20.4 (package uncertainties)."""
    hours = measured(4000.0, hours=400.0)
    watts = measured(500.0, before=15.0) - measured(200.0, after=6.0)
    money = energy_kwh(((watts, hours),)) * 0.15
    assert (money.value, money.standard) == (pytest.approx(180.0), pytest.approx(20.44407, rel=1e-4))


def test_starts_are_energy_but_little() -> None:
    """1,500 W for two seconds, 3,600 times a year: 3 kWh."""
    assert start_energy_kwh(exactly(1500.0), 2.0, 3600.0).value == pytest.approx(3.0)


def test_emissions_of_a_grid() -> None:
    """US EPA eGRID2023, US total: 770.884 lb/MWh make 349.67 kg of a thousand kWh."""
    assert emissions_kg(exactly(1000.0), 770.884 * 0.45359237 / 1000).value == pytest.approx(349.6671, rel=1e-6)


def test_heat_no_longer_given_is_made_up_and_cold_is_saved() -> None:
    """1,000 kWh saved, 40 % of the hours heated, 30 % cooled at a COP of 3: 400 kWh of heat, 100 kWh of electricity."""
    found = heat_and_cold(measured(1000.0, w=100.0), 0.4, 0.3, 3.0)
    assert (found.heat_kwh.value, found.heat_kwh.standard) == pytest.approx((400.0, 40.0))
    assert (found.cooling_kwh.value, found.cooling_kwh.standard) == pytest.approx((100.0, 10.0))
    with refused_with(OutsideValidity, "economy-heat-and-cold"):
        heat_and_cold(exactly(1.0), 0.7, 0.4, 3.0)


def test_payback_by_definition() -> None:
    """450 ÷ 120 a year is 3.75 years."""
    found = simple_payback_years(exactly(450.0), exactly(120.0))
    assert (found.value, found.low, found.high) == pytest.approx((3.75, 3.75, 3.75))


def test_range_of_the_payback_against_drawing_at_random() -> None:
    """Fieller's interval against two million draws; they agree to 1 % where the saving is well above nothing."""
    rng = np.random.default_rng(7)
    cost, saving = rng.normal(980, 50, 2_000_000), rng.normal(450, 40, 2_000_000)
    low, high = np.percentile(cost / saving, [2.5, 97.5])
    found = simple_payback_years(measured(980.0, c=50.0), measured(450.0, s=40.0))
    assert (found.low, found.high) == pytest.approx((low, high), rel=0.01)


def test_a_saving_that_may_be_nothing_has_no_upper_end() -> None:
    found = simple_payback_years(measured(500.0, c=25.0), measured(30.0, s=30.0))
    assert found.high is None and found.low is not None and found.value == pytest.approx(500 / 30)


def test_no_saving_never_pays_back() -> None:
    found = simple_payback_years(measured(500.0, c=25.0), measured(-30.0, s=5.0))
    assert (found.value, found.low, found.high) == (None, None, None)


@given(st.floats(10, 5000), st.floats(0, 0.1), st.floats(1, 2000), st.floats(0, 0.3))
def test_value_lies_in_its_range(cost: float, cost_spread: float, saving: float, saving_spread: float) -> None:
    found = simple_payback_years(measured(cost, c=cost * cost_spread), measured(saving, s=saving * saving_spread))
    assert found.value is not None and found.low is not None
    assert found.low <= found.value * (1 + 1e-9)
    assert found.high is None or found.high >= found.value * (1 - 1e-9)


@pytest.mark.parametrize(
    ("years", "rate", "rise"), [(2.5, 0.05, 0.0), (0.4, 0.05, 0.02), (12.75, 0.03, 0.03), (7.0, 0.0, 0.0)]
)
def test_a_part_of_a_year_counts_in_proportion(years: float, rate: float, rise: float) -> None:
    """By definition: whole years at their own worth, and of the year that is begun the part that is left, at that year's worth."""
    whole = int(years)
    yearly = [(1 + rise) ** (year - 1) / (1 + rate) ** year for year in range(1, whole + 2)]
    assert present_worth_factor(years, rate, rise) == pytest.approx(
        sum(yearly[:whole]) + (years - whole) * yearly[whole]
    )
    assert present_worth_factor(whole + 1e-9, rate, rise) == pytest.approx(sum(yearly[:whole]), abs=1e-6), (
        "no jump at a year's end"
    )


def test_a_life_of_no_years_and_a_rate_below_nothing_are_refused() -> None:
    for years, rate in ((0.0, 0.05), (-1.0, 0.05), (5.0, -0.01)):
        with pytest.raises(OutsideValidity):
            present_worth_factor(years, rate, 0.0)


@pytest.mark.parametrize(("saving", "sd"), [(300.0, 20.0), (300.0, 120.0), (-50.0, 40.0)])
def test_the_ends_of_a_payback_are_those_of_fieller(saving: float, sd: float) -> None:
    """Fieller (1954), by its other definition: every ratio t for which C − t S could as well be nothing at 95 %, found on a fine grid."""
    cost = measured(900.0, quote=90.0)
    found = simple_payback_years(cost, measured(saving, meter=sd))
    grid = np.linspace(0.01, 400, 400_000)
    could_be = np.abs(900.0 - grid * saving) <= 1.96 * np.sqrt(90.0**2 + (grid * sd) ** 2)
    if saving - 1.96 * sd > 0:
        assert found.low == pytest.approx(grid[could_be][0], rel=2e-3) and found.high == pytest.approx(
            grid[could_be][-1], rel=2e-3
        )
    else:
        assert found.high is None, "a saving that may be nothing never surely pays"
        assert could_be[-1] or saving < 0


@pytest.mark.parametrize(
    ("rate", "years", "factor"),
    [
        (0.03, 5, 4.580), (0.03, 10, 8.530), (0.03, 15, 11.938), (0.03, 20, 14.877), (0.03, 25, 17.413),
        (0.05, 10, 7.722), (0.05, 20, 12.462), (0.07, 10, 7.024), (0.07, 20, 10.594), (0.10, 10, 6.145),
    ],
)  # fmt: skip
def test_worth_of_a_uniform_saving_by_the_printed_tables(rate: float, years: int, factor: float) -> None:
    """Uniform present value factors of NIST Handbook 135 and of any table of annuities, from memory, to the three decimals printed."""
    assert present_worth_factor(years, rate, 0.0) == pytest.approx(factor, abs=0.0006)


@pytest.mark.parametrize(
    ("rate", "rise", "years"), [(0.03, 0.01, 20), (0.05, 0.02, 10), (0.07, 0.07, 15), (0.04, 0.06, 12)]
)
def test_worth_of_a_saving_that_rises_by_the_handbook_s_closed_form(rate: float, rise: float, years: int) -> None:
    """NIST Handbook 135, UPV* = (1 + e) ÷ (d − e) × (1 − ((1 + e) ÷ (1 + d))^n), and n where d = e: prices rise from the first year. Ours
    rise from the second, so its factor is the handbook's over 1 + e."""
    same = math.isclose(rate, rise)
    handbook = years if same else (1 + rise) / (rate - rise) * (1 - ((1 + rise) / (1 + rate)) ** years)
    assert present_worth_factor(years, rate, rise) == pytest.approx(handbook / (1 + rise))
