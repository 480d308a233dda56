"""A logger's days made into a year: against signals whose run fraction, starts and loads are known exactly."""

from __future__ import annotations

import numpy as np
import pytest
from scipy import stats

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.stations import logger
from modest_rotor.core.stations.logger import Log, LoggedKind, logged_year

DAY = 86400.0


def square(days: float, step: float, on_s: float, period_s: float, high: float = 4.0) -> Log:
    """A machine that runs ``on_s`` of every ``period_s``."""
    seconds = np.arange(0.0, days * DAY, step)
    return Log(seconds, np.where(seconds % period_s < on_s, high, 0.05), LoggedKind.AMPS)


def test_a_square_wave_gives_its_own_run_fraction_and_starts() -> None:
    """12 of every 30 minutes: 40 % of the time and two starts an hour, to the width of a row."""
    year = logged_year(square(7, 30.0, 720.0, 1800.0))
    assert year.run_fraction.value == pytest.approx(0.40, abs=0.001)
    assert year.starts_per_hour.value == pytest.approx(2.0, abs=0.02)
    assert year.hours.value == pytest.approx(0.40 * 8760, rel=0.003)
    assert year.starts.value == pytest.approx(2 * 8760, rel=0.01)


def test_a_gap_counts_neither_as_running_nor_as_off() -> None:
    whole = square(6, 60.0, 720.0, 1800.0)
    there = (whole.seconds < 2 * DAY) | (whole.seconds > 3.3 * DAY)
    cut = logged_year(Log(whole.seconds[there], whole.values[there], whole.kind))
    assert cut.run_fraction.value == pytest.approx(0.40, abs=0.003)
    assert cut.covered == pytest.approx(4.7 * 24, rel=0.01)


def test_more_days_narrow_the_uncertainty_and_days_that_differ_widen_it() -> None:
    short, long = (logged_year(square(days, 60.0, 720.0, 1800.0)).spread for days in (2, 60))
    assert long < short
    seconds = np.arange(0.0, 8 * DAY, 60.0)
    every_other = (seconds // DAY) % 2 == 0
    uneven = logged_year(Log(seconds, np.where(every_other & (seconds % 1800 < 1440), 4.0, 0.0), LoggedKind.AMPS))
    assert uneven.run_fraction.value == pytest.approx(0.40, abs=0.01)
    assert uneven.spread > 2 * long


def test_two_loads_become_two_levels_with_their_hours() -> None:
    seconds = np.arange(0.0, 10 * DAY, 60.0)
    place = seconds % 3600
    watts = np.where(place < 900, 800.0, np.where(place < 2700, 310.0, 4.0))
    year = logged_year(Log(seconds, watts, LoggedKind.WATTS))
    high, low = year.levels
    assert (high.load, low.load) == (pytest.approx(1.0, abs=0.02), pytest.approx(310 / 800, abs=0.02))
    assert high.hours.value == pytest.approx(8760 / 4, rel=0.01)
    assert low.hours.value == pytest.approx(8760 / 2, rel=0.01)
    assert sum(bar.share for bar in year.bars) == pytest.approx(1.0)


def test_standby_is_not_running() -> None:
    """An electronic motor takes a few watts while it stands: under 15 % of its running watts."""
    seconds = np.arange(0.0, 3 * DAY, 60.0)
    year = logged_year(Log(seconds, np.where(seconds % 3600 < 1800, 120.0, 6.0), LoggedKind.WATTS))
    assert year.run_fraction.value == pytest.approx(0.5, abs=0.01)


@pytest.mark.parametrize(
    ("log", "words"),
    [
        (Log(np.arange(0.0, 1200.0, 60.0), np.ones(20), LoggedKind.ON_OFF), "covers 20 minutes"),
        (Log(np.arange(0.0, DAY, 60.0), np.zeros(1440), LoggedKind.ON_OFF), "never ran"),
    ],
    ids=["too short", "never ran"],
)
def test_too_little_is_refused(log: Log, words: str) -> None:
    with pytest.raises(OutsideValidity, match=words):
        logged_year(log)


def test_the_uncertainty_of_a_few_days_is_student_s() -> None:
    """Two to seven days: the factor is the two-sided 95 % point of Student's t with one degree of freedom less (scipy.stats)."""
    for days, factor in logger.STUDENT.items():
        assert factor == pytest.approx(stats.t.ppf(0.975, days - 1), rel=2e-3)
    assert sorted(logger.STUDENT) == list(range(2, 8))
    assert pytest.approx(stats.t.ppf(0.975, 13), abs=0.25) == logger.MANY_DAYS_T, "a fortnight, the usual log"


def test_two_days_that_differ_tell_next_to_nothing() -> None:
    """40 and 60 % of two days: ± 12.7 × 0.141 ÷ √2 is 1.27, more than all there is, so the uncertainty ends at the whole (Student, n = 2)."""
    seconds = np.arange(0.0, 2 * DAY, 60.0)
    share = np.where(seconds < DAY, 0.4, 0.6)
    told = logged_year(Log(seconds, np.where((seconds % 1800) < 1800 * share, 4.0, 0.0), LoggedKind.AMPS))
    assert told.run_fraction.value == pytest.approx(0.5, abs=0.01) and told.spread == pytest.approx(1.0, abs=0.02)


def test_the_bars_hold_all_of_the_running_time_from_nothing_to_the_highest() -> None:
    """By hand: ten bars of a tenth each; a load that fills no bar but its own."""
    bars = logger._bars(np.array([1.0, 1.0, 9.5]), np.array([2.0, 2.0, 1.0]), 10.0)
    assert [(bar.low, bar.high) for bar in bars] == [
        pytest.approx((place / 10, (place + 1) / 10)) for place in range(10)
    ]
    assert [bar.share for bar in bars] == pytest.approx([0, 0.8, 0, 0, 0, 0, 0, 0, 0, 0.2])
