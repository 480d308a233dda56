"""Pulses: the fundamental is the one that was ordered, harmonics stand beside the carrier, the rectifier's balance holds."""

from __future__ import annotations

import numpy as np
import pytest

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.physics.pulse_width import (
    PulseWidth,
    between_two,
    leg,
    modulation_for,
    phase_current,
    rectified,
    ripple_current,
    triangle,
)

pytestmark = pytest.mark.slow

LINK_V = 565.0


def spectrum(values: np.ndarray, count: int) -> np.ndarray:  # type: ignore[type-arg]
    """Amplitude of every harmonic of the record."""
    return np.abs(np.fft.rfft(values)) * 2 / count


@pytest.mark.parametrize("hertz", [10.0, 25.0, 40.0, 50.0])
@pytest.mark.parametrize("modulation", [0.3, 0.6, 1.0])
def test_the_fundamental_is_the_commanded_frequency_and_modulation(hertz: float, modulation: float) -> None:
    """Reference: NumPy's FFT over whole periods; m V_d / 2 at one output, √3 times that between two (Mohan, Undeland, Robbins)."""
    pulses = PulseWidth(LINK_V, hertz, 4000.0, modulation)
    periods, count = 4, 2**19  # a pulse is cut to the nearest sample
    time = np.arange(count) * periods / hertz / count
    one, two = (spectrum(wave, count) for wave in (leg(pulses, time), between_two(pulses, time)))
    assert int(np.argmax(two[: 20 * periods])) == periods, "four periods: the fourth line is the fundamental"
    assert one[periods] == pytest.approx(modulation * LINK_V / 2, rel=0.005)
    assert two[periods] == pytest.approx(3**0.5 * modulation * LINK_V / 2, rel=0.005)


def test_between_fundamental_and_carrier_there_is_next_to_nothing() -> None:
    """The harmonics of sine-triangle pulses stand in groups about the carrier and its multiples (same source)."""
    pulses, count = PulseWidth(LINK_V, 50.0, 4000.0, 0.8), 2**17
    wave = spectrum(between_two(pulses, np.arange(count) / 50.0 / count), count)
    assert wave[2:60].max() < 0.01 * wave[1]
    assert wave[70:90].max() > 0.1 * wave[1]


def test_the_wave_has_three_values_and_no_third_harmonic_between_two_outputs() -> None:
    pulses, count = PulseWidth(LINK_V, 50.0, 4000.0, 0.8), 2**15
    wave = between_two(pulses, np.arange(count) / 50.0 / count)
    assert set(np.unique(wave)) == {-LINK_V, 0.0, LINK_V}
    assert spectrum(wave, count)[3] < 0.01 * spectrum(wave, count)[1]


def test_volts_ordered_are_volts_given() -> None:
    """By hand: 230 V between two outputs of a 565 V link is m = 230 √8 / (√3 565) = 0.665."""
    assert modulation_for(230.0, LINK_V) == pytest.approx(0.6648, rel=1e-3)


def test_a_third_harmonic_gives_more_volts_without_clipping_and_is_not_seen_between_two_outputs() -> None:
    """A sixth of third harmonic lets the modulation reach 2/√3 (D. G. Holmes, T. A. Lipo, Pulse Width Modulation; from memory)."""
    full, count = 2 / 3**0.5, 2**17
    pulses = PulseWidth(LINK_V, 50.0, 4000.0, full, third_harmonic=True)
    wave = spectrum(between_two(pulses, np.arange(count) / 50.0 / count), count)
    assert wave[1] == pytest.approx(LINK_V, rel=0.005), "the peak between two outputs is the link itself"
    assert wave[3] < 0.01 * wave[1]
    with pytest.raises(OutsideValidity):
        PulseWidth(LINK_V, 50.0, 4000.0, 1.16, third_harmonic=True)


def test_ripple_is_the_current_without_its_fundamental() -> None:
    pulses, count = PulseWidth(LINK_V, 50.0, 4000.0, 0.8), 2**15
    time = np.arange(count) / 50.0 / count
    whole, ripple = phase_current(pulses, time, 2.0, 0.02), ripple_current(pulses, time, 2.0, 0.02)
    assert np.abs(np.fft.rfft(ripple)[1]) < 1e-6 * np.abs(np.fft.rfft(whole)[1])
    assert np.allclose(np.fft.rfft(ripple)[2:], np.fft.rfft(whole)[2:])


def test_a_three_phase_bridge_has_six_humps_and_its_power_balances() -> None:
    """Mean of the ideal six-pulse bridge: 3 √2 V / π = 1.35 V (Mohan et al.); a capacitor holds it between that and the peak."""
    found = rectified(400.0, 50.0, 1500.0, 300e-6, 10e-3, phases=3, resistance_ohm=3.0)
    assert 1.32 * 400 < found.link_v.mean() < 2**0.5 * 400
    humps = np.fft.rfft(found.link_v - found.link_v.mean())
    assert int(np.argmax(np.abs(humps))) == 6
    # Three lines alike: each carries a third; by symmetry the first line's phase volts lag those to the second by 30 degrees.
    phase_v = 2**0.5 * 400 / 3**0.5 * np.sin(2 * np.pi * 50 * found.time - np.pi / 6)
    assert 3 * np.mean(phase_v * found.line_a) == pytest.approx(1500.0, rel=0.05)
    assert abs(found.line_a.mean()) < 0.05 * np.abs(found.line_a).max()


def test_the_current_is_smooth_and_lags_by_the_winding() -> None:
    """By hand: the fundamental meets √(R² + (ωL)²); R 5 Ω, L 30 mH at 50 Hz: 10.67 Ω, lagging by 62 degrees."""
    pulses, count = PulseWidth(LINK_V, 50.0, 8000.0, 0.8), 2**15
    time = np.arange(count) / 50.0 / count
    current = phase_current(pulses, time, 5.0, 0.030)
    first = np.fft.rfft(current)[1] * 2 / count
    assert abs(first) == pytest.approx(0.8 * LINK_V / 2 / 10.67, rel=0.005)
    ordered = np.fft.rfft(np.sin(2 * np.pi * 50 * time))[1]
    assert np.degrees(np.angle(ordered / first)) == pytest.approx(62.05, abs=0.5)
    assert np.abs(np.diff(current)).max() < 0.02 * np.ptp(current)
    slower = phase_current(PulseWidth(LINK_V, 50.0, 2000.0, 0.8), time, 5.0, 0.030)
    smooth = np.abs(first) * np.sin(2 * np.pi * 50 * time + np.angle(first) + np.pi / 2)
    assert np.std(slower - smooth) > 2 * np.std(current - smooth), "a slower carrier leaves more ripple"


def test_the_rectifiers_link_stands_near_the_peak_and_power_balances() -> None:
    """Energy: what comes from the line in a period is what the inverter takes; the current comes in short pulses."""
    found = rectified(230.0, 50.0, 400.0, 470e-6, 2e-3)
    assert np.mean(found.line_v * found.line_a) == pytest.approx(400.0, rel=0.02)
    assert 0.88 * 325 < found.link_v.min() < found.link_v.max() < 1.05 * 325
    rms_v, rms_a = (np.sqrt(np.mean(wave**2)) for wave in (found.line_v, found.line_a))
    factor = 400.0 / (rms_v * rms_a)
    assert 0.45 < factor < 0.75, "a small drive without a choke: 0.5 to 0.7, common practice"
    assert np.mean(found.line_a == 0) > 0.5, "no current for most of the period"


def test_a_choke_makes_the_current_longer_and_the_power_factor_better() -> None:
    def factor(choke: float) -> float:
        found = rectified(230.0, 50.0, 400.0, 470e-6, choke)
        return float(400.0 / np.sqrt(np.mean(found.line_v**2) * np.mean(found.line_a**2)))

    assert factor(20e-3) > factor(5e-3) > factor(1e-3)


def test_the_triangle_runs_from_minus_one_to_one() -> None:
    wave = triangle(np.linspace(0, 1e-3, 4001), 1000.0)
    assert wave.min() == pytest.approx(-1, abs=1e-3) and wave.max() == pytest.approx(1)


@pytest.mark.parametrize("wrong", [(0, 50, 4000, 0.5), (565, 50, 40, 0.5), (565, 50, 4000, 1.2), (565, 0, 4000, 0.5)])
def test_pulses_that_cannot_be_are_refused(wrong: tuple[float, float, float, float]) -> None:
    with pytest.raises(OutsideValidity):
        PulseWidth(*wrong)
    with pytest.raises(OutsideValidity):
        rectified(230, 50, 0, 1e-4, 1e-3)
    with pytest.raises(OutsideValidity):
        phase_current(PulseWidth(565, 50, 4000, 0.5), np.arange(4.0), 0, 1)
