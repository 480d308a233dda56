"""A command in volts is a straight line with a dead band; hertz and volts keep their ratio; amps follow the code."""

from __future__ import annotations

import pytest
from pydantic import ValidationError

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.physics.induction import synchronous_speed_rpm
from modest_rotor.core.plant.plant import Settings, output_voltage_v
from modest_rotor.core.setup.command import share_of_signal, signal_for_share
from modest_rotor.core.standards.wiring import overload_setting_a
from modest_rotor.core.stations.traits import SignalTraits
from tests.said import refused_with

PLAIN = SignalTraits()
DEAD = SignalTraits(off_below_v=1.0)
RAISED = SignalTraits(zero_at_v=2.0, full_at_v=10.0, off_below_v=2.0)


@pytest.mark.parametrize("volts", [0.5 * step for step in range(21)])
def test_nought_to_ten_volts_is_a_straight_line(volts: float) -> None:
    """Common practice, no source: 2 V of 0-10 V is 20 %."""
    assert share_of_signal(PLAIN, volts) == pytest.approx(volts / 10)
    assert signal_for_share(PLAIN, volts / 10) == pytest.approx(volts)


def test_two_to_ten_volts_begins_at_two() -> None:
    """Common practice, no source: 6 V of 2-10 V is half."""
    assert share_of_signal(RAISED, 6.0) == pytest.approx(0.5)
    assert signal_for_share(RAISED, 0.25) == pytest.approx(4.0)


def test_below_the_dead_band_it_stands_and_above_full_it_stays() -> None:
    assert share_of_signal(DEAD, 0.99) == 0.0
    assert share_of_signal(DEAD, 1.0) == pytest.approx(0.1)
    assert share_of_signal(DEAD, 12.0) == 1.0
    assert signal_for_share(DEAD, 0.0) == 0.0


@pytest.mark.parametrize(
    "said",
    [
        {"off_below_v": 10.0},
        {"off_below_v": 12.0},
        {"zero_at_v": 10.0},
        {"zero_at_v": 5.0, "full_at_v": 4.0},
        {"off_below_v": -0.1},
        {"full_at_v": 30.0},
    ],
)
def test_a_signal_that_never_starts_or_runs_backwards_is_no_signal(said: dict[str, float]) -> None:
    with pytest.raises(ValidationError):
        SignalTraits(**said)
    assert SignalTraits(off_below_v=9.9).off_below_v == 9.9


def test_a_share_inside_the_dead_band_is_refused_with_the_least_that_runs() -> None:
    with pytest.raises(OutsideValidity, match="10 %"):
        signal_for_share(DEAD, 0.05)
    with refused_with(OutsideValidity, "setup-command-signal-for-share-command-goes"):
        signal_for_share(PLAIN, 1.2)


@pytest.mark.parametrize(
    ("hertz", "rpm"), [(25, 750), (26, 780), (30, 900), (40, 1200), (49, 1470), (50, 1500), (60, 1800)]
)
def test_synchronous_speed_of_four_poles_at_each_hertz(hertz: float, rpm: float) -> None:
    """Definition, 120 f / p: IEC 60034-1 and every textbook."""
    assert synchronous_speed_rpm(hertz, 4) == rpm


@pytest.mark.parametrize(("hertz", "volts"), [(10, 80), (25, 200), (40, 320), (50, 400), (60, 400)])
def test_volts_per_hertz_hold_up_to_base_and_no_further(hertz: float, volts: float) -> None:
    """400 V at 50 Hz is 8 V/Hz; above base frequency volts stay. Source: constant flux, any textbook on drives."""
    assert output_voltage_v(Settings(base_hz=50, base_v=400), hertz, 400.0) == pytest.approx(volts)


def test_the_trim_raises_volts_but_never_above_the_line() -> None:
    told = Settings(base_hz=50, base_v=400, trim=0.05)
    assert output_voltage_v(told, 25, 400.0) == pytest.approx(210)
    assert output_voltage_v(told, 50, 400.0) == 400.0


@pytest.mark.parametrize(
    ("amps", "factor", "first"), [(3.4, 1.0, 3.91), (3.4, 1.15, 4.25), (10.0, 1.0, 11.5), (10.0, 1.25, 12.5)]
)
def test_overload_amps_by_the_code(amps: float, factor: float, first: float) -> None:
    """NFPA 70 (NEC), 430.32(A)(1): 125 % with a service factor of 1.15 or more, 115 % for all others."""
    assert overload_setting_a(amps, factor)[0] == pytest.approx(first)
