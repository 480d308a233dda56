"""What a drive makes of the line: rectified and smoothed on its DC link, cut into pulses, and the current that the motor draws of them."""

from __future__ import annotations

import math
from dataclasses import dataclass

import numpy as np

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import Array
from modest_rotor.core.say import Number, say

PHASES = 3
THIRD = 2 * math.pi / PHASES
THIRD_SHARE = 1 / 6
"""Third harmonic in the reference over its fundamental: the share that lets the fundamental grow most."""
BEYOND_FUNDAMENTAL = 1.5
LINE_PEAK = math.sqrt(2)
FULL_MODULATION, FULL_WITH_THIRD = 1.0, 2 / math.sqrt(PHASES)
"""Modulation up to which nothing is clipped: with a plain sine, and with a sixth of third harmonic in the reference."""
POINTS = 720
"""Points of one period: half a degree each."""
SETTLING_PERIODS = 12
"""Periods of the line that are followed before one is shown: the link has found its ripple."""


@dataclass(frozen=True)
class PulseWidth:
    """How a drive cuts its link's volts into pulses.

    :param link_v: volts of the DC link. :param frequency_hz: of the output. :param carrier_hz: of the triangle.
    :param modulation: peak of the reference's fundamental over half the link's volts, 0 to 1, or to 2/√3 with a third harmonic.
    :param third_harmonic: whether a sixth of it is added to the reference, which flattens its top; between two outputs it is
        not seen.
    """

    link_v: float
    frequency_hz: float
    carrier_hz: float
    modulation: float
    third_harmonic: bool = False

    def __post_init__(self) -> None:
        full = FULL_WITH_THIRD if self.third_harmonic else FULL_MODULATION
        if not (self.link_v > 0 and 0 < self.frequency_hz < self.carrier_hz and 0 <= self.modulation <= full):
            raise OutsideValidity(say("pulse-width-post-init", full=Number(full, ".3g")))


def modulation_for(line_to_line_v: float, link_v: float) -> float:
    """Modulation whose fundamental is a voltage between two outputs, m = V √8 / (√3 V_d).

    :param line_to_line_v: rms, V. :param link_v: V, above zero.

    Source: N. Mohan, T. M. Undeland, W. P. Robbins, Power Electronics, three-phase inverters: V_LL1 = (√3 / (2 √2)) m V_d.
    """
    return line_to_line_v * 2 * LINE_PEAK / (math.sqrt(PHASES) * link_v)


def triangle(time: Array, carrier_hz: float) -> Array:
    """The carrier, from −1 to 1. :param time: s. Source: definition."""
    phase = np.mod(time * carrier_hz, 1.0)
    return 4 * np.abs(phase - 1 / 2) - 1


def leg(pulses: PulseWidth, time: Array, phase: int = 0) -> Array:
    """Volts of one output against the middle of the link: plus or minus half of it, as reference and triangle compare.

    :param time: s, shape ``(n,)``. :param phase: 0, 1 or 2. Source: sine-triangle comparison, Mohan et al., as above.
    """
    angle = 2 * math.pi * pulses.frequency_hz * time - phase * THIRD
    added = THIRD_SHARE * np.sin(PHASES * angle) if pulses.third_harmonic else 0.0
    reference = pulses.modulation * (np.sin(angle) + added)
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
    return np.fft.irfft(_harmonics(pulses, time, resistance_ohm, inductance_h)[0], len(time))


def ripple_current(pulses: PulseWidth, time: Array, resistance_ohm: float, inductance_h: float) -> Array:
    """The same without its fundamental: what the pulses add to the current of a motor whose field opposes the fundamental alone.

    Arguments, errors and source as :func:`phase_current`, with the motor's leakage as inductance.
    """
    currents, frequency = _harmonics(pulses, time, resistance_ohm, inductance_h)
    beyond = np.where(frequency > BEYOND_FUNDAMENTAL * pulses.frequency_hz, currents, 0.0)
    return np.fft.irfft(beyond, len(time))


def _harmonics(pulses: PulseWidth, time: Array, resistance_ohm: float, inductance_h: float) -> tuple[Array, Array]:
    """Spectrum of a winding's current, and the frequencies in it, Hz."""
    if not (resistance_ohm > 0 and inductance_h > 0):
        raise OutsideValidity(say("pulse-width-harmonics"))
    legs = [leg(pulses, time, phase) for phase in range(PHASES)]
    star = legs[0] - (legs[0] + legs[1] + legs[2]) / PHASES
    frequency: Array = np.asarray(np.fft.rfftfreq(len(time), float(time[1] - time[0])), float)
    return np.fft.rfft(star) / (resistance_ohm + 2j * math.pi * frequency * inductance_h), frequency


@dataclass(frozen=True)
class Rectified:
    """One period of the line behind the rectifier: time s, volts of the line and of the link, amps of the line."""

    time: Array
    line_v: Array
    link_v: Array
    line_a: Array


def rectified(
    line_v: float,
    line_hz: float,
    power_w: float,
    capacitance_f: float,
    inductance_h: float,
    points: int = POINTS,
    phases: int = 1,
    resistance_ohm: float = 0.0,
) -> Rectified:
    """One period behind a diode bridge with a smoothing capacitor, fed through an inductance.

    :param line_v: rms, between two lines. :param line_hz: Hz. :param power_w: that the inverter takes from the link.
    :param capacitance_f: of the link. :param inductance_h: of line and choke together. :param points: of the period that is
        given. :param phases: 1 or 3; with three the amps are those of the first line, the volts those between it and the second.
    :param resistance_ohm: of line and choke.
    :raises OutsideValidity: anything that is not above zero.

    Integrated in time from a charged link until it repeats: L di/dt = |v| − u − R i while current flows, C du/dt = i − P/u.
    Validity: steady power, ideal diodes; with three phases the current passes to the next pair at once. Source: Mohan et al.,
    as above, diode-bridge rectifiers.
    """
    if min(line_v, line_hz, power_w, capacitance_f, inductance_h) <= 0:
        raise OutsideValidity(say("pulse-width-rectified"))
    step = 1 / (line_hz * points)
    total = SETTLING_PERIODS * points
    angle = 2 * math.pi * line_hz * step * np.arange(total)
    pairs = [LINE_PEAK * line_v * np.sin(angle - turn * THIRD) for turn in range(phases)]
    # Between lines 1-2, 2-3 and 3-1; the first line carries the current of the first pair and, backwards, of the third.
    highest = np.argmax(np.abs(pairs), axis=0)
    source = np.choose(highest, pairs)
    signs = np.sign(source) * np.array([1.0, 0.0, -1.0])[highest]
    volts, amps = LINE_PEAK * line_v, 0.0
    link, line = np.empty(total), np.empty(total)
    for place, rectifying in enumerate(np.abs(source).tolist()):
        amps = max(amps + (rectifying - volts - resistance_ohm * amps) * step / inductance_h, 0.0)
        volts += (amps - power_w / volts) * step / capacitance_f
        link[place], line[place] = volts, amps
    last = slice(total - points, total)
    times = np.asarray(np.arange(points) * step, float)
    return Rectified(times, pairs[0][last], link[last], (line * signs)[last])
