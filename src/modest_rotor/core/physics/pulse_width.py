"""What a drive makes of the line: rectified and smoothed on its DC link, cut into pulses, and the current that the motor draws of them."""

from __future__ import annotations

import math
from dataclasses import dataclass

import numpy as np

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import Array

THIRD = 2 * math.pi / 3
LINE_PEAK = math.sqrt(2)
FULL_MODULATION = 1.0
POINTS = 720
"""Points of one period: half a degree each."""
SETTLING_PERIODS = 12
"""Periods of the line that are followed before one is shown: the link has found its ripple."""


@dataclass(frozen=True)
class PulseWidth:
    """How a drive cuts its link's volts into pulses.

    :param link_v: volts of the DC link. :param frequency_hz: of the output. :param carrier_hz: of the triangle.
    :param modulation: peak of the reference over half the link's volts, 0 to 1.
    """

    link_v: float
    frequency_hz: float
    carrier_hz: float
    modulation: float

    def __post_init__(self) -> None:
        if not (
            self.link_v > 0 and 0 < self.frequency_hz < self.carrier_hz and 0 <= self.modulation <= FULL_MODULATION
        ):
            raise OutsideValidity(
                "Pulses need volts on the link, a carrier faster than the output, and a modulation from 0 to 1; beyond it the"
                " wave is clipped and these equations do not hold."
            )


def modulation_for(line_to_line_v: float, link_v: float) -> float:
    """Modulation whose fundamental is a voltage between two outputs, m = V √8 / (√3 V_d).

    :param line_to_line_v: rms, V. :param link_v: V. :raises OutsideValidity: more than pulses of this link can make.

    Validity: sinusoidal reference without a third harmonic. Source: N. Mohan, T. M. Undeland, W. P. Robbins, Power
    Electronics, three-phase inverters: V_LL1 = (√3 / (2 √2)) m V_d.
    """
    modulation = line_to_line_v * 2 * LINE_PEAK / (math.sqrt(3) * link_v)
    if modulation > FULL_MODULATION:
        raise OutsideValidity(f"{line_to_line_v:.0f} V are more than pulses from {link_v:.0f} V make without clipping.")
    return modulation


def triangle(time: Array, carrier_hz: float) -> Array:
    """The carrier, from −1 to 1. :param time: s. Source: definition."""
    phase = np.mod(time * carrier_hz, 1.0)
    return 4 * np.abs(phase - 1 / 2) - 1


def leg(pulses: PulseWidth, time: Array, phase: int = 0) -> Array:
    """Volts of one output against the middle of the link: plus or minus half of it, as reference and triangle compare.

    :param time: s, shape ``(n,)``. :param phase: 0, 1 or 2. Source: sine-triangle comparison, Mohan et al., as above.
    """
    reference = pulses.modulation * np.sin(2 * math.pi * pulses.frequency_hz * time - phase * THIRD)
    return np.where(reference >= triangle(time, pulses.carrier_hz), pulses.link_v / 2, -pulses.link_v / 2)


def between_two(pulses: PulseWidth, time: Array) -> Array:
    """Volts between the first two outputs: pulses of the whole link. Source: definition; arguments as :func:`leg`."""
    return leg(pulses, time, 0) - leg(pulses, time, 1)


def phase_current(pulses: PulseWidth, time: Array, resistance_ohm: float, inductance_h: float) -> Array:
    """Current of one winding, A, of three alike in star that have resistance and inductance, in the steady state.

    :param time: evenly spaced over whole periods of the output, s, shape ``(n,)``. :param resistance_ohm: above zero.
    :param inductance_h: above zero.
    :raises OutsideValidity: either is not.

    Solved as a Fourier series: every harmonic of the volts meets R + jωL. Source: superposition, any textbook on circuits.
    """
    if not (resistance_ohm > 0 and inductance_h > 0):
        raise OutsideValidity("A winding has a resistance and an inductance above zero.")
    legs = [leg(pulses, time, phase) for phase in range(3)]
    star = legs[0] - (legs[0] + legs[1] + legs[2]) / 3
    spectrum = np.fft.rfft(star)
    omega = 2 * math.pi * np.fft.rfftfreq(len(time), float(time[1] - time[0]))
    return np.fft.irfft(spectrum / (resistance_ohm + 1j * omega * inductance_h), len(time))


@dataclass(frozen=True)
class Rectified:
    """One period of the line behind the rectifier: time s, volts of the line and of the link, amps of the line."""

    time: Array
    line_v: Array
    link_v: Array
    line_a: Array


def rectified(
    line_v: float, line_hz: float, power_w: float, capacitance_f: float, inductance_h: float, points: int = POINTS
) -> Rectified:
    """One period behind a single-phase bridge with a smoothing capacitor, fed through an inductance.

    :param line_v: rms. :param line_hz: Hz. :param power_w: that the inverter takes from the link. :param capacitance_f: of the
        link. :param inductance_h: of line and choke together. :param points: of the period that is given.
    :raises OutsideValidity: anything that is not above zero.

    Integrated in time from a charged link until it repeats: L di/dt = |v| − u while current flows, C du/dt = i − P/u.
    Validity: steady power, ideal diodes. Source: Mohan et al., as above, single-phase diode-bridge rectifiers.
    """
    if min(line_v, line_hz, power_w, capacitance_f, inductance_h) <= 0:
        raise OutsideValidity("A rectifier has volts, hertz, power, a capacitor and an inductance, all above zero.")
    step = 1 / (line_hz * points)
    total = SETTLING_PERIODS * points
    source: Array = LINE_PEAK * line_v * np.sin(2 * math.pi * line_hz * step * np.arange(total))
    volts, amps = LINE_PEAK * line_v, 0.0
    link, line = np.empty(total), np.empty(total)
    for place, instant in enumerate(source):
        amps = max(amps + (abs(float(instant)) - volts) * step / inductance_h, 0.0)
        volts += (amps - power_w / volts) * step / capacitance_f
        link[place], line[place] = volts, math.copysign(amps, float(instant))
    last = slice(total - points, total)
    times = np.asarray(np.arange(points) * step, float)
    return Rectified(times, source[last], link[last], line[last])
