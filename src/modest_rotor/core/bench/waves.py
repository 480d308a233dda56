"""What a drive on the Bench makes of its line, as waves: line, link, pulses and the motor's current, at its carrier and duty."""

from __future__ import annotations

import math
from dataclasses import dataclass

import numpy as np

from modest_rotor.core.bench.stand import Controls, Stand, hertz_of, line_volts, motor_volts, solved
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import Array
from modest_rotor.core.physics.drive import Rectifier, drive_input
from modest_rotor.core.physics.pulse_width import (
    FULL_WITH_THIRD,
    LINE_PEAK,
    PulseWidth,
    between_two,
    modulation_for,
    rectified,
    ripple_current,
)
from modest_rotor.core.physics.three_phase import ThreePhaseMotor
from modest_rotor.core.say import say

LINK_F_PER_W = {Rectifier.SINGLE_PHASE: 1.0e-6, Rectifier.THREE_PHASE: 0.25e-6}
"""Capacitor of the link for each watt of the rating. Common practice, no source."""
LINE_DROP = {Rectifier.SINGLE_PHASE: 0.02, Rectifier.THREE_PHASE: 0.04}
"""Reactance of line and choke, as a share of rated volts over rated amps. Common practice: a choke of 3 to 5 %."""
LINE_RESISTANCE = 0.02
"""Resistance of line and choke, as a share of the same. Our judgement, no source."""
SAMPLES = 2**14
"""Samples of one period of the output, at which pulses are told apart."""
DRAWN = 480
"""Points of a smooth wave as it is drawn."""


@dataclass(frozen=True)
class Wave:
    """A wave as it is drawn: seconds and values, arrays of one shape."""

    time: Array
    values: Array


@dataclass(frozen=True)
class Waves:
    """Everything between line and motor, and what meters show of it.

    :param line: volts; ``line_amps`` what is drawn; ``link`` volts of the DC link: one period of the line each.
    :param pulses: volts between two outputs, two points at every step; ``fundamental`` of them; ``current`` of one winding:
        one period of the output each.
    :param duty: of the widest pulse, a share. :param clipped: whether the motor asks for more volts than the link can give.
    """

    line: Wave
    line_amps: Wave
    link: Wave
    pulses: Wave
    fundamental: Wave
    current: Wave
    link_v: float
    ripple_a: float
    motor_v: float
    line_peak_a: float
    power_w: float
    duty: float
    modulation: float
    pulses_a_period: float
    clipped: bool


def waves_of(stand: Stand, controls: Controls) -> Waves:
    """The waves of a stand with a drive, running steadily.

    :raises OutsideValidity: it has no drive, a carrier not above the output's hertz; as :func:`setup_of`.

    Line and link by integration in time, pulses by comparison of reference and triangle, the current as the motor's own
    fundamental with the harmonics that its leakage lets through. Validity: steady running. Source: Mohan, Undeland, Robbins,
    Power Electronics; size of link and choke common practice.
    """
    drive, motor = stand.drive, stand.motor
    if drive is None or not isinstance(motor, ThreePhaseMotor):
        raise OutsideValidity(say("waves-of"))
    at = solved(stand, controls).motor
    line_v, hertz = line_volts(stand, controls), hertz_of(stand, controls)
    through = drive_input(drive, at, line_v)
    power = float(through.motor_input_w + through.drive_loss_w / 2)
    phases = 1 if drive.rectifier is Rectifier.SINGLE_PHASE else 3
    rated_amps = float(drive.rated_power_w) / (line_v * math.sqrt(phases))
    base = line_v / rated_amps
    inductance = LINE_DROP[drive.rectifier] * base / (2 * math.pi * stand.hertz)
    bridge = rectified(
        line_v,
        stand.hertz,
        power,
        LINK_F_PER_W[drive.rectifier] * float(drive.rated_power_w),
        inductance,
        phases=phases,
        resistance_ohm=LINE_RESISTANCE * base,
    )
    link_v = float(np.mean(bridge.link_v))
    wanted = modulation_for(motor_volts(stand, controls, hertz), link_v)
    pulses = PulseWidth(link_v, hertz, controls.carrier_hz, min(wanted, FULL_WITH_THIRD), third_harmonic=True)
    time = np.arange(SAMPLES) / SAMPLES / hertz
    leakage = float(motor.main_reactance + motor.rotor_reactance) / (2 * math.pi * float(motor.rated_frequency))
    ripple = ripple_current(pulses, time, float(motor.main_resistance + motor.rotor_resistance), leakage)
    lag = math.acos(min(float(at.power_factor), 1.0))
    # The volts between two outputs lead those of the first winding by thirty degrees.
    smooth = LINE_PEAK * float(at.current_a) * np.sin(2 * math.pi * hertz * time - lag)
    motor_v = pulses.modulation / wanted * motor_volts(stand, controls, hertz)
    every = SAMPLES // DRAWN
    fundamental = LINE_PEAK * motor_v * np.sin(2 * math.pi * hertz * time[::every] + math.pi / 6)
    return Waves(
        line=Wave(bridge.time, bridge.line_v),
        line_amps=Wave(bridge.time, bridge.line_a),
        link=Wave(bridge.time, bridge.link_v),
        pulses=_steps(Wave(time, between_two(pulses, time))),
        fundamental=Wave(time[::every], fundamental),
        current=Wave(time[::every], (smooth + ripple)[::every]),
        link_v=link_v,
        ripple_a=float(np.ptp(_undone(ripple))),
        motor_v=motor_v,
        line_peak_a=float(np.max(np.abs(bridge.line_a))),
        power_w=power,
        duty=min((1 + pulses.modulation * math.sqrt(3) / 2) / 2, 1.0),
        modulation=pulses.modulation,
        pulses_a_period=controls.carrier_hz / hertz,
        clipped=wanted > FULL_WITH_THIRD,
    )


def _undone(ripple: Array) -> Array:
    """The ripple without its few highest and lowest samples, where a pulse was cut to the nearest sample."""
    return np.asarray(np.quantile(ripple, (0.01, 0.99)))


def _steps(wave: Wave) -> Wave:
    """A wave of steps by its corners alone."""
    at = np.flatnonzero(np.diff(wave.values)) + 1
    times = np.concatenate(([wave.time[0]], np.repeat(wave.time[at], 2), [wave.time[-1]]))
    levels = wave.values[np.concatenate(([0], at))]
    return Wave(times, np.repeat(levels, 2))
