"""Areas held against the outside: life-cycle cost, proof statistics, trends, traverses, protection sizes, drives at part load."""

from __future__ import annotations

import math
from dataclasses import replace

import numpy as np
import pytest
from fluids.pump import VFD_efficiency
from scipy import stats
from scipy.integrate import quad
from scipy.optimize import brentq
from uncertainties import ufloat

from modest_rotor.core.economy import discounted_payback_years, present_worth_factor
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import measured, normal_share
from modest_rotor.core.physics.drive import drive_loss_w
from modest_rotor.core.physics.supply import Supply
from modest_rotor.core.physics.three_phase import ThreePhaseMotor, pull_out, solve_three_phase, unbalanced_heating
from modest_rotor.core.physics.traverse import (
    TraverseRule,
    places_along_diameter,
    places_along_side,
    traverse_flow_m3s,
    velocity_ms,
)
from modest_rotor.core.standards.motors import W_PER_HP, iec_class_efficiency, us_motor_efficiency
from modest_rotor.core.standards.wiring import overload_setting_a
from modest_rotor.core.tables import read_table


@pytest.mark.parametrize(
    ("years", "rate", "factor"),
    # NIST Handbook 135, uniform present value factors (from memory): the annual supplement's tables at 3, 5 and 7 %.
    [
        (10, 0.03, 8.530),
        (20, 0.03, 14.877),
        (25, 0.03, 17.413),
        (10, 0.05, 7.722),
        (20, 0.05, 12.462),
        (15, 0.07, 9.108),
    ],
)
def test_present_worth_of_uniform_savings(years: float, rate: float, factor: float) -> None:
    assert present_worth_factor(years, rate, 0.0) == pytest.approx(factor, abs=0.001)


@pytest.mark.parametrize(("rise", "factor"), [(0.0, 7.7217), (0.02, 8.3881), (0.05, 9.5238)])
def test_present_worth_of_rising_savings(rise: float, factor: float) -> None:
    """The geometric gradient series of engineering economy, summed year by year: Σ (1 + e)^(t − 1) ÷ (1 + d)^t; at e = d it is
    n ÷ (1 + d), as every handbook has it."""
    summed = sum((1 + rise) ** (year - 1) / 1.05**year for year in range(1, 11))
    assert summed == pytest.approx(factor, rel=1e-4)
    assert present_worth_factor(10, 0.05, rise) == pytest.approx(summed)


@pytest.mark.parametrize(
    ("cost", "saving", "rate", "rise"), [(900, 300, 0.05, 0.0), (2000, 250, 0.03, 0.02), (500, 400, 0.08, 0.0)]
)
def test_discounted_payback_is_where_the_worth_of_the_savings_meets_the_cost(
    cost: float, saving: float, rate: float, rise: float
) -> None:
    """NIST Handbook 135; by a bracketing root of the continuous present worth."""
    ratio = (1 + rise) / (1 + rate)
    by_root = brentq(lambda n: saving / (1 + rate) * (1 - ratio**n) / (1 - ratio) - cost, 1e-6, 200)
    assert discounted_payback_years(cost, saving, rate, rise) == pytest.approx(by_root, rel=1e-9)
    assert discounted_payback_years(saving / rate * 1.1, saving, rate) is None  # worth less than its interest


def test_products_and_quotients_carry_their_uncertainties_as_a_reference_library_does() -> None:
    """JCGM 100, 5.1.2, by the library uncertainties: U, I and φ of its example H.2 in spirit: R = V ÷ I cos φ."""
    volts, amps = ufloat(4.9990, 0.0032), ufloat(0.019661, 0.0000095)
    ours = measured(4.9990, volts=0.0032) / measured(0.019661, amps=0.0000095)
    assert ours.value == pytest.approx((volts / amps).nominal_value)
    assert ours.standard == pytest.approx((volts / amps).std_dev, rel=1e-6)
    shared = measured(100.0, meter=2.0) - measured(98.0, meter=1.96)
    assert shared.standard == pytest.approx(0.04)  # one meter falls out of a difference: JCGM 100, F.1.2.3


def test_shares_of_a_normal_distribution_are_those_of_scipy() -> None:
    for z in (-3.0, -1.0, 0.0, 0.5, 1.96, 4.0):
        assert normal_share(z) == pytest.approx(stats.norm.cdf(z), abs=1e-12)


def profile(exponent: float) -> float:
    """Mean over a square of a duct's power-law profile, (2 x)^(1/n) from each wall, by quadrature."""
    one, _ = quad(lambda x: min(2 * x, 2 - 2 * x) ** (1 / exponent), 0, 1, points=[0.5])
    return one


@pytest.mark.parametrize("points", [5, 6, 7])
@pytest.mark.parametrize("exponent", [6.0, 7.0, 9.0])
def test_a_log_tchebycheff_traverse_meets_the_mean_of_turbulent_profiles(points: int, exponent: float) -> None:
    """ISO 3966 allows some 1 % for the rule itself; equal areas read high, since no point lies near the wall."""
    places = np.array(places_along_side(TraverseRule.LOG_TCHEBYCHEFF, points))
    told = np.mean(np.minimum(2 * places, 2 - 2 * places) ** (1 / exponent))
    assert told == pytest.approx(profile(exponent), rel=0.015)
    even = np.array(places_along_side(TraverseRule.EQUAL_AREAS, points))
    assert np.mean(np.minimum(2 * even, 2 - 2 * even) ** (1 / exponent)) > told


@pytest.mark.parametrize("points", [6, 8, 10])
@pytest.mark.parametrize("rule", list(TraverseRule))
def test_a_round_traverse_meets_the_mean_of_a_power_law_profile(rule: TraverseRule, points: int) -> None:
    """v = (1 − r/R)^(1/7): its mean over the section is 2 n² ÷ ((n + 1)(2 n + 1)) = 0.8167 for n = 7, any textbook of fluids."""
    places = np.array(places_along_diameter(rule, points))
    told = np.mean((2 * np.minimum(places, 1 - places)) ** (1 / 7))
    assert told == pytest.approx(2 * 49 / (8 * 15), rel=0.02)
    assert sorted(places) == pytest.approx(sorted(1 - places))


def test_the_traverse_takes_the_mean_of_roots_and_refuses_what_is_none() -> None:
    flow, speed = traverse_flow_m3s(np.array([4.0, 16.0]), 2.0, 1.2)
    assert speed == pytest.approx((math.sqrt(8 / 1.2) + math.sqrt(32 / 1.2)) / 2) and flow == pytest.approx(2 * speed)
    assert velocity_ms(249.0889, 1.2014) == pytest.approx(4005 * 0.00508, rel=2e-3)  # 1 in. w.g.: 4,005 fpm, ASHRAE
    for pressures, area in (([], 1.0), ([4.0], 0.0), ([-4.0], 1.0)):
        with pytest.raises(OutsideValidity):
            traverse_flow_m3s(np.array(pressures), area, 1.2)
    with pytest.raises(OutsideValidity):
        places_along_side(TraverseRule.LOG_TCHEBYCHEFF, 4)
    with pytest.raises(OutsideValidity):
        places_along_diameter(TraverseRule.EQUAL_AREAS, 5)


MACHINE = ThreePhaseMotor(6, 220.0, 60.0, 0.294, 0.503, 13.25, 0.144, 0.209)
"""Fitzgerald, Kingsley and Umans, Electric Machinery, ch. 6."""
COLD = {"winding_c": 75.0, "rotor_c": 75.0}


def test_pull_out_by_thevenin_is_the_top_of_the_solved_curve() -> None:
    supply = Supply(220.0, 60.0)
    torque, slip = pull_out(MACHINE, supply)
    slips = np.linspace(0.02, 0.9, 4000)
    solved = solve_three_phase(MACHINE, supply, slips).torque_nm
    assert torque == pytest.approx(float(solved.max()), rel=1e-5)
    assert slip == pytest.approx(float(slips[np.argmax(solved)]), abs=5e-4)


def test_heat_under_unbalance_is_the_superposition_of_two_solved_fields() -> None:
    """3 % of backward volts on a running machine: its current is that of the machine solved at 2 − s, near the locked one."""
    supply, slip = Supply(220.0, 60.0), 0.02
    forward, locked = (solve_three_phase(MACHINE, supply, s).current_a for s in (slip, 1.0))
    back = solve_three_phase(MACHINE, Supply(0.03 * 220.0, 60.0), 2 - slip).current_a
    ratio, mean, worst = unbalanced_heating(0.03, float(locked / forward))
    assert ratio == pytest.approx(float(back / forward), rel=0.05)
    assert mean == pytest.approx(1 + float(back / forward) ** 2, rel=0.01) and worst > mean


@pytest.mark.parametrize(
    ("amps", "factor", "first", "further"),
    # NFPA 70 (NEC), 430.32(A)(1) and (C) (from memory): 125 and 140 % with a service factor of 1.15, else 115 and 130 %.
    [(14.0, 1.15, 17.5, 19.6), (14.0, 1.0, 16.1, 18.2), (3.6, 1.25, 4.5, 5.04), (52.0, 1.0, 59.8, 67.6)],
)
def test_overload_settings(amps: float, factor: float, first: float, further: float) -> None:
    assert overload_setting_a(amps, factor) == (pytest.approx(first), pytest.approx(further))


def fan_amps(load: float) -> float:
    """Of a motor on a fan: two fifths of its amps magnetize, the rest goes with torque. Common practice, no source."""
    return float(np.hypot(0.4, np.sqrt(1 - 0.4**2) * load ** (2 / 3)))


@pytest.mark.parametrize("hp", [3, 10, 30, 75, 200, 400])
@pytest.mark.parametrize("load", [0.016, 0.125, 0.25, 0.5, 0.75, 1.0])
def test_drives_at_part_load_are_those_of_a_reference_library(hp: float, load: float) -> None:
    """The published sheet (US Department of Energy, Motor Systems Tip Sheet 11) as fluids has it.

    Losses to 0.3 % of the rating: what one straight line leaves of figures told in whole points.
    """
    lost = float(drive_loss_w(hp * W_PER_HP, fan_amps(load))) / (hp * W_PER_HP)
    assert lost == pytest.approx(load * (1 / VFD_efficiency(hp * W_PER_HP, load) - 1), abs=0.003)


@pytest.mark.parametrize("poles", [2, 4, 6])
def test_classes_rise_with_size_and_with_class_up_to_200_kw(poles: int) -> None:
    """A law that every row must obey: better with size (to a tenth of a point, as the standard rounds) and with class."""
    sizes = sorted({float(row["power_kw"]) for row in read_table("iec_efficiency_classes")})
    assert sizes[-1] == 200.0
    for size in sizes:
        column = [iec_class_efficiency(name, poles, 1000 * size) for name in ("IE1", "IE2", "IE3", "IE4")]
        assert column == sorted(column) and len(set(column)) == 4
    for name in ("IE1", "IE2", "IE3", "IE4"):
        values = [iec_class_efficiency(name, poles, 1000 * size) for size in sizes]
        losses = [1 / value - 1 for value in values]
        assert values == sorted(values)
        # Losses fall by about a third to a half of a power of the size: no row strays from its neighbours by 12 %.
        for left, middle, right, a, b, c in zip(
            losses, losses[1:], losses[2:], sizes, sizes[1:], sizes[2:], strict=False
        ):
            share = math.log(b / a) / math.log(c / a)
            assert math.log(middle) == pytest.approx((1 - share) * math.log(left) + share * math.log(right), abs=0.12)


@pytest.mark.parametrize(
    ("case", "poles", "hp", "percent"),
    [("enclosed", 4, 500, 96.2), ("open", 2, 250, 95.0), ("open", 2, 500, 96.2), ("enclosed", 6, 300, 95.8)],
)
def test_premium_motors_to_500_horsepower(case: str, poles: int, hp: float, percent: float) -> None:
    """10 CFR 431.25, Table 5 (from memory)."""
    assert us_motor_efficiency("premium", case, poles, hp * W_PER_HP) == pytest.approx(percent / 100)


@pytest.mark.parametrize(
    ("rule", "points", "half"),
    [
        (TraverseRule.EQUAL_AREAS, 6, (0.044, 0.146, 0.296)),
        (TraverseRule.EQUAL_AREAS, 10, (0.026, 0.082, 0.146, 0.226, 0.342)),
        (TraverseRule.LOG_TCHEBYCHEFF, 6, (0.032, 0.135, 0.321)),
        (TraverseRule.LOG_TCHEBYCHEFF, 8, (0.021, 0.117, 0.184, 0.345)),
        (TraverseRule.LOG_TCHEBYCHEFF, 10, (0.019, 0.077, 0.153, 0.217, 0.361)),
    ],
)
def test_places_along_a_diameter_as_printed(rule: TraverseRule, points: int, half: tuple[float, ...]) -> None:
    """Shares of the diameter: ISO 3966's log-linear rule, and the equal areas that older handbooks print; from memory, to a thousandth."""
    found = places_along_diameter(rule, points)
    assert found[: points // 2] == pytest.approx(half, abs=0.00051)
    assert found[points // 2 :] == pytest.approx([1 - place for place in reversed(half)], abs=0.00051)


@pytest.mark.parametrize(("winding_c", "rotor_c"), [(60.0, 25.0), (25.0, 75.0), (115.0, 130.0)])
def test_warm_windings_pull_out_as_a_machine_of_their_resistances_does(winding_c: float, rotor_c: float) -> None:
    """Resistance goes with 234.5 + t for copper and 225 + t for aluminium (IEEE Std 112, 5.4; the program's 230 + t of a cast cage lies
    within 1 %): a machine of those resistances, by hand, at the 80 °C for which parameters are given."""
    warm = pull_out(MACHINE, Supply(220.0, 60.0, winding_c=winding_c, rotor_c=rotor_c))
    by_hand = replace(
        MACHINE,
        main_resistance=MACHINE.main_resistance * (234.5 + winding_c) / (234.5 + 80),
        rotor_resistance=MACHINE.rotor_resistance * (225 + rotor_c) / (225 + 80),
    )
    assert warm == pytest.approx(pull_out(by_hand, Supply(220.0, 60.0)), rel=1e-2)
