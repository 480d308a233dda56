"""The robust trend against SciPy's; wild readings do not move it; a trend that begins late is found where it begins."""

from __future__ import annotations

import numpy as np
import pytest
from scipy.stats import binned_statistic, kendalltau, median_abs_deviation, rankdata, theilslopes

from modest_rotor.core.drift.trend import bent_trend, robust_trend, thinned
from modest_rotor.core.errors import OutsideValidity
from tests.said import refused_with


@pytest.mark.parametrize("seed", range(12))
@pytest.mark.parametrize("ties", [False, True])
def test_the_line_and_its_interval_are_those_of_scipy(seed: int, ties: bool) -> None:
    """Reference: scipy.stats.theilslopes 1.17, which implements Theil and Sen with ties."""
    rng = np.random.default_rng(seed)
    count = int(rng.integers(5, 80))
    time = np.sort(rng.uniform(0, 100, count))
    value = 3 + 0.2 * time + rng.normal(0, 2, count)
    if ties:
        time, value = np.round(time, -1), np.round(value)
    if np.ptp(time) == 0:
        return
    ours, theirs = robust_trend(time, value), theilslopes(value, time, 0.95)
    assert ours.slope == pytest.approx(theirs.slope, rel=1e-12, abs=1e-12)
    assert ours.intercept == pytest.approx(theirs.intercept, rel=1e-12)
    assert ours.slope_low == pytest.approx(theirs.low_slope, rel=1e-12, abs=1e-12)
    assert ours.slope_high == pytest.approx(theirs.high_slope, rel=1e-12, abs=1e-12)
    rest = value - (theirs.intercept + theirs.slope * time)
    assert ours.scatter == pytest.approx(median_abs_deviation(rest, scale="normal"), rel=1e-3, abs=1e-12)


def test_a_fifth_of_wild_readings_does_not_move_it() -> None:
    """Up to 29 % may be wild: the breakdown point of the method, Sen (1968). A least-squares line is carried away."""
    rng = np.random.default_rng(3)
    time = np.arange(60.0)
    value = 10 - 0.05 * time + rng.normal(0, 0.1, 60)
    wild = value.copy()
    wild[::5] += 40
    assert robust_trend(time, wild).slope == pytest.approx(-0.05, abs=0.02)
    assert robust_trend(time, wild).at(30) == pytest.approx(8.5, abs=0.5), (
        "all wild ones lie on one side: the middle moves a little"
    )


def test_too_few_or_all_at_once_is_refused() -> None:
    for time in (np.arange(3.0), np.zeros(9)):
        with refused_with(OutsideValidity, "trend-robust-trend"):
            robust_trend(time, np.ones(len(time)))


def test_a_trend_that_begins_late_is_found_there_and_ends_where_the_readings_end() -> None:
    rng = np.random.default_rng(5)
    time = np.arange(300.0)
    value = -0.2 * np.clip((time - 165) / 135, 0, 1) + rng.normal(0, 0.01, 300)
    found = bent_trend(time, value)
    assert found.start == pytest.approx(165, abs=35)
    assert found.at(299) == pytest.approx(-0.2, abs=0.02)


def test_a_steady_one_has_no_bend() -> None:
    rng = np.random.default_rng(6)
    time = np.arange(200.0)
    for slope in (0.0, 0.001):
        assert bent_trend(time, slope * time + rng.normal(0, 0.01, 200)).start == -np.inf


def test_thinning_keeps_the_ends_and_the_middle() -> None:
    time, value = thinned(np.arange(10_000.0), np.arange(10_000.0), 240)
    assert len(time) == 240 and value[0] < 25 and value[-1] > 9975
    few = thinned(np.arange(5.0), np.arange(5.0), 240)
    assert len(few[0]) == 5


@pytest.mark.parametrize("seed", range(20))
def test_a_slope_apart_from_nought_is_one_that_kendall_s_test_finds(seed: int) -> None:
    """Mann (1945) and Kendall, by SciPy: the interval of Theil and Sen is the inversion of that test, so at 95 % both say the same, but
    where its P lies so near to 5 % that the count of ties and the correction of continuity decide."""
    rng = np.random.default_rng(seed)
    time = np.sort(rng.uniform(0, 365, 60))
    value = rng.normal(0, 1, 60) + time * rng.choice([0.0, 0.001, 0.003])
    trend, chance = robust_trend(time, value), kendalltau(time, value).pvalue
    apart = trend.slope_low > 0 or trend.slope_high < 0
    if not 0.04 < chance < 0.06:
        assert apart == (chance < 0.05)


@pytest.mark.parametrize("seed", range(8))
@pytest.mark.parametrize("begins", [120.0, 200.0, 250.0])
def test_where_a_trend_begins_pettitt_s_test_finds_a_change(seed: int, begins: float) -> None:
    """Pettitt (1979), a change of level without a distribution: P ≈ 2 exp(−6 K² ÷ (n³ + n²)), by its definition from ranks. It finds one
    for certain: on the ramp, as far after its beginning as half of what is left; the bend lies within two months of the beginning."""
    rng = np.random.default_rng(seed)
    time = np.arange(0.0, 365.0, 5.0)
    value = rng.normal(0, 0.01, len(time)) + 0.001 * np.clip(time - begins, 0, None)
    ranks, count = rankdata(value), len(value)
    walk = 2 * np.cumsum(ranks) - np.arange(1, count + 1) * (count + 1)
    change = time[int(np.argmax(np.abs(walk)))]
    assert 2 * np.exp(-6 * np.max(np.abs(walk)) ** 2 / (count**3 + count**2)) < 0.01
    assert begins - 60 < change < begins + 0.5 * (365 - begins)
    assert abs(bent_trend(time, value).start - begins) < 60


def test_readings_of_half_a_day_have_a_trend_and_those_of_one_moment_have_none() -> None:
    time = np.array([0.0, 0.1, 0.2, 0.3, 0.5])
    assert robust_trend(time, 2 + 3 * time).slope == pytest.approx(3.0)
    with refused_with(OutsideValidity, "trend-robust-trend"):
        robust_trend(np.zeros(5), time)


@pytest.mark.parametrize("most", [7, 40])
def test_thinning_takes_the_medians_of_equal_spans_as_scipy_bins_them(most: int) -> None:
    """``scipy.stats.binned_statistic`` on uneven times with a gap; spans without a reading give none."""
    rng = np.random.default_rng(9)
    time = np.sort(np.concatenate((rng.uniform(0, 40, 300), rng.uniform(60, 100, 200))))
    value = np.sin(time / 9) + rng.normal(0, 0.1, len(time))
    found = thinned(time, value, most)
    for column, own in zip((time, value), found, strict=True):
        medians, _, _ = binned_statistic(time, column, "median", bins=most)
        assert own == pytest.approx(medians[~np.isnan(medians)])
