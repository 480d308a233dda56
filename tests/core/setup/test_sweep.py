"""The noise sweep: frequencies, bands, ends that cannot be skipped, and what to do when most of it is loud."""

from __future__ import annotations

import pytest
from hypothesis import given
from hypothesis import strategies as st

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.setup.sweep import Band, SweepPlan, frequencies, out_of_bands, plan_sweep
from modest_rotor.core.stations.traits import DriveTraits
from tests.said import refused_with

THREE = DriveTraits(most_bands=3, widest_band_hz=10)


def plan(*marks: float, low: float = 25, high: float = 50, traits: DriveTraits = THREE) -> SweepPlan:
    return plan_sweep(marks, low, high, 1.0, 0.5, traits)


def test_a_sweep_counts_both_ends() -> None:
    assert frequencies(25, 50, 1) == tuple(float(hertz) for hertz in range(25, 51))
    assert frequencies(25, 27.3, 1) == (25, 26, 27, 27.3)
    for wrong in ((50, 25, 1), (25, 50, 0)):
        with pytest.raises(OutsideValidity):
            frequencies(*wrong)


def test_a_mark_becomes_a_band_with_its_margin() -> None:
    assert plan(31).skips == (Band(30.5, 31.5),)


def test_neighbouring_marks_are_one_band() -> None:
    assert plan(31, 32, 33, 40).skips == (Band(30.5, 33.5), Band(39.5, 40.5))


def test_loud_at_the_top_of_fifty_becomes_a_limit_of_forty_nine() -> None:
    """The rule of the trade as it was told to us, no source: an end cannot be skipped, the limit is moved."""
    found = plan(50)
    assert (found.high, found.low, found.skips) == (49, 25, ())


def test_loud_at_a_floor_of_twenty_five_becomes_twenty_six_never_less() -> None:
    """As above."""
    found = plan(25)
    assert (found.low, found.high, found.skips) == (26, 50, ())


def test_an_end_that_is_loud_for_three_hertz_moves_by_three() -> None:
    assert plan(48, 49, 50).high == 47
    assert plan(25, 26, 27).low == 28


def test_a_drive_that_skips_its_ends_keeps_its_limits() -> None:
    found = plan(50, traits=DriveTraits(most_bands=3, widest_band_hz=10, skips_ends=True))
    assert found.high == 50 and found.skips == (Band(49.5, 50.0),)


def test_more_bands_than_it_skips_are_joined_over_the_least_quiet() -> None:
    found = plan(28, 33, 35, 44)
    assert len(found.skips) == 3 and Band(32.5, 35.5) in found.skips
    assert found.joined == pytest.approx(1.0)


def test_a_band_wider_than_it_skips_stays_loud_and_is_said() -> None:
    found = plan(*range(30, 37), traits=DriveTraits(most_bands=3, widest_band_hz=5))
    assert found.skips == () and found.left == (Band(29.5, 36.5),)


def test_where_most_is_loud_nothing_is_skipped() -> None:
    found = plan(*range(28, 45))
    assert found.mostly and found.skips == ()


def test_nothing_quiet_between_loud_ends_is_told() -> None:
    with refused_with(OutsideValidity, "sweep-ends-moved"):
        plan_sweep((25,), 25, 26, 1.0, 0.5, THREE)


@pytest.mark.parametrize(("wanted", "told"), [(31.2, 31.5), (30.8, 30.5), (40, 40), (24, 25), (52, 50)])
def test_a_duty_step_in_a_band_moves_to_the_nearer_edge(wanted: float, told: float) -> None:
    assert out_of_bands(wanted, SweepPlan((Band(30.5, 31.5),), 25, 50)) == told


@given(st.sets(st.integers(25, 50), max_size=9), st.floats(10, 60))
def test_whatever_is_loud_no_step_runs_inside_a_skipped_band_or_outside_the_limits(
    marks: set[int], hertz: float
) -> None:
    found = plan(*(float(mark) for mark in marks))
    told = out_of_bands(hertz, found)
    assert found.low <= told <= found.high
    assert not any(band.low < told < band.high for band in found.skips)
    assert len(found.skips) <= THREE.most_bands and all(b.high - b.low <= THREE.widest_band_hz for b in found.skips)
    if not found.mostly:
        heard = {mark for mark in marks if found.low <= mark <= found.high}
        assert all(any(b.low <= mark <= b.high for b in (*found.skips, *found.left)) for mark in heard)
