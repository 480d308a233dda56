"""Uncertainties: against the reference library for error propagation, and by their own laws."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from uncertainties import ufloat, umath

from modest_rotor.core.estimate import COVERAGE_95, Estimate, exactly, measured, propagate

finite = st.floats(-1e3, 1e3, allow_nan=False)
spread = st.floats(0.01, 10)


def test_coverage_is_the_95_percent_point() -> None:
    """Two-sided 95 % point of the normal distribution, 1.959964 (any table of it)."""
    from scipy.stats import norm

    assert pytest.approx(norm.ppf(0.975), abs=1e-6) == COVERAGE_95
    assert measured(10.0, meter=1.0).uncertainty == pytest.approx(1.959964)


def test_cube_of_a_speed_ratio_against_uncertainties() -> None:
    """Source: package uncertainties; the ratio cubed triples the relative error."""
    slow, fast = measured(1200.0, first=10.0), measured(1720.0, second=10.0)
    (cube,) = propagate(lambda one, other: (one / other) ** 3, slow, fast)
    reference = (ufloat(1200, 10) / ufloat(1720, 10)) ** 3
    assert cube.value == pytest.approx(reference.nominal_value)
    assert cube.standard == pytest.approx(reference.std_dev, rel=1e-3)  # central differences against derivatives


def test_watts_from_volts_amps_and_power_factor_against_uncertainties() -> None:
    parts = {"v": (230, 2.3), "i": (2.5, 0.1), "pf": (0.95, 0.02)}
    v, i, pf = (measured(value, **{name: std}) for name, (value, std) in parts.items())
    watts = v * i * pf
    reference = ufloat(230, 2.3) * ufloat(2.5, 0.1) * ufloat(0.95, 0.02)
    assert watts.value == pytest.approx(546.25)
    assert watts.standard == pytest.approx(reference.std_dev, rel=1e-9)


def test_two_percent_meters_make_fourteen_percent_of_a_difference() -> None:
    """270 − 220 W, each ± 5 W standard, by two meters: 50 ± 7.07 W."""
    saving = measured(270.0, one=5.0) - measured(220.0, other=5.0)
    assert saving.standard == pytest.approx(50**0.5)


def test_what_two_results_share_falls_out_of_their_difference() -> None:
    before, after = measured(270.0, meter=5.0, digit=0.3), measured(220.0, meter=4.0)
    saving = before - after
    assert saving.standard == pytest.approx((1.0 + 0.09) ** 0.5)
    assert (before - before).standard == 0


@given(finite, spread, finite, spread)
def test_sum_and_product_against_uncertainties(a: float, sa: float, b: float, sb: float) -> None:
    one, other = measured(a, shared=sa), measured(b, shared=sb / 2, own=sb)
    s, o = ufloat(0, 1), ufloat(0, 1)
    ra, rb = a + sa * s, b + sb / 2 * s + sb * o
    assert (one + other).standard == pytest.approx((ra + rb).std_dev, rel=1e-9, abs=1e-9)
    assert (one * other).standard == pytest.approx((ra * rb).std_dev, rel=1e-9, abs=1e-9)
    assert (one - other).standard == pytest.approx((ra - rb).std_dev, rel=1e-9, abs=1e-9)


def test_propagation_of_a_curved_function_keeps_sources_by_name() -> None:
    angle = measured(0.5, tilt=0.01)
    sine, cosine = propagate(lambda x: np.hstack([np.sin(x), np.cos(x)]), angle)
    assert sine.standard == pytest.approx(umath.sin(ufloat(0.5, 0.01)).std_dev, rel=1e-4)
    assert set(sine.contributions) == {"tilt"}
    assert sine.contributions["tilt"] > 0 > cosine.contributions["tilt"]


def test_shares_add_up_and_come_largest_first() -> None:
    shares = measured(1.0, small=1.0, large=2.0).shares()
    assert list(shares) == ["large", "small"]
    assert sum(shares.values()) == pytest.approx(1.0)
    assert exactly(3.0).shares() == {}


def test_another_source_widens() -> None:
    assert Estimate(1.0, {"a": 3.0}).with_contribution("b", 4.0).standard == pytest.approx(5.0)
    assert Estimate(1.0, {"a": 3.0}).with_contribution("a", 4.0).contributions == {"a": pytest.approx(5.0)}
