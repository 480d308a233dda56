"""Waves of a drive on the Bench: ordered volts and hertz in the pulses, the link near the line's peak, clipping told."""

from __future__ import annotations

import math

import numpy as np
import pytest

from modest_rotor.core.bench.shipped import stands
from modest_rotor.core.bench.stand import Controls, motor_volts, solved
from modest_rotor.core.bench.waves import waves_of
from modest_rotor.core.errors import OutsideValidity
from tests.said import refused_with

ONE_PHASE = "fan on a drive fed by one phase"


def sampled(time: np.ndarray, values: np.ndarray, count: int) -> np.ndarray:  # type: ignore[type-arg]
    """A wave of steps, given by its corners, at evenly spaced instants of its period."""
    instants = (np.arange(count) + 0.5) / count * time[-1]
    return values[np.searchsorted(time, instants, side="right") - 1]


@pytest.mark.parametrize("hertz", [15.0, 25.0, 40.0])
@pytest.mark.parametrize("carrier", [2000.0, 8000.0])
@pytest.mark.parametrize("name", [ONE_PHASE, "three-phase fan on a drive"])
def test_the_drawn_pulses_have_the_ordered_fundamental(name: str, hertz: float, carrier: float) -> None:
    """Reference: NumPy's FFT of the very corners that are drawn, against the volts that the V/f law orders."""
    rig, controls = stands()[name], Controls(hertz=hertz, carrier_hz=carrier)
    waves = waves_of(rig, controls)
    ordered = motor_volts(rig, controls, hertz)
    wave = sampled(waves.pulses.time, waves.pulses.values, 2**15)
    first = np.abs(np.fft.rfft(wave)[1]) * 2 / len(wave) / math.sqrt(2)
    # A pulse is cut to the nearest of 16,384 samples: a fast carrier at few hertz has some 550 pulses a period.
    assert first == pytest.approx(ordered, rel=0.02)
    assert waves.motor_v == pytest.approx(ordered) and not waves.clipped
    assert waves.pulses.time[-1] == pytest.approx(1 / hertz, rel=1e-3)
    assert waves.pulses_a_period == carrier / hertz


def test_what_the_link_cannot_give_is_said_and_not_drawn() -> None:
    full = waves_of(stands()[ONE_PHASE], Controls())
    assert full.clipped and 0.85 * 230 < full.motor_v < 230
    assert 0.9 * math.sqrt(2) * 230 < full.link_v < math.sqrt(2) * 230


def test_amps_of_one_phase_come_in_short_tall_pulses() -> None:
    """Common practice: crest factors of 2 to 3.5 and a true power factor of 0.5 to 0.75 without a choke."""
    waves = waves_of(stands()[ONE_PHASE], Controls(hertz=45.0))
    rms = float(np.sqrt(np.mean(waves.line_amps.values**2)))
    assert 2 < waves.line_peak_a / rms < 3.5
    assert 0.5 < waves.power_w / (230 * rms) < 0.75


@pytest.mark.parametrize("hertz", [25.0, 40.0])
def test_the_winding_s_current_is_the_motor_s_own_with_its_ripple_on_it(hertz: float) -> None:
    """Root mean square of what is drawn: the amps that the motor was solved at, and the ripple beside them in quadrature."""
    rig, controls = stands()["three-phase fan on a drive"], Controls(hertz=hertz, carrier_hz=8000.0)
    waves = waves_of(rig, controls)
    wave = sampled(waves.current.time, waves.current.values, 2**14)
    amps = float(solved(rig, controls).motor.current_a)
    assert float(np.sqrt(np.mean(wave**2))) == pytest.approx(math.hypot(amps, waves.ripple_a), rel=0.05)
    first = np.abs(np.fft.rfft(wave)[1]) * 2 / len(wave)
    assert first == pytest.approx(math.sqrt(2) * amps, rel=0.03), "its fundamental is the solved current's peak"


def test_ripple_goes_down_as_the_carrier_goes_up() -> None:
    """By hand: ripple lies between pulses, so it goes as their length; twice the carrier is half of it, roughly."""
    slow, fast = (
        waves_of(stands()[ONE_PHASE], Controls(hertz=40, carrier_hz=carrier)).ripple_a for carrier in (2000.0, 4000.0)
    )
    assert slow / fast == pytest.approx(2.0, rel=0.15)


def test_without_a_drive_there_are_no_pulses() -> None:
    with refused_with(OutsideValidity, "waves-of"):
        waves_of(stands()["three-phase fan"], Controls())
