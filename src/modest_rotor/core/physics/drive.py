"""Variable-frequency drives: the volts they give at a frequency, what they lose, what they take from the line."""

from __future__ import annotations

import math
from dataclasses import dataclass, replace
from enum import StrEnum

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.physics.fields import Real, choose
from modest_rotor.core.physics.motor_point import MotorPoint

HARMONIC_LOSS = 0.08
"""Losses that the drive's waveform adds in the motor, as a share of the motor's losses. Our judgement, no source."""
FIXED_LOSS = 0.015
"""Loss of a drive at no load, over its rated power. Our judgement, no source."""
CURRENT_LOSS = 0.025
"""Loss that grows with current, at rated current, over its rated power; near 96 % in all at full load. Our judgement."""
LINEAR, VARIABLE_TORQUE = 1.0, 1.7
"""Exponents of V(f): 1 holds the flux, 1.5 to 2.9 starve a fan motor at low frequency on purpose. Common practice."""
SINGLE_PHASE_INPUT_SHARE = 0.5
"""Share of a three-phase drive's rating that it may give when fed with one phase: rectifier and DC link carry the whole
current. Common practice; the drive's maker decides."""


class Rectifier(StrEnum):
    """How a drive takes its power."""

    SINGLE_PHASE = "single-phase, no choke"
    THREE_PHASE = "three-phase with choke"


TRUE_POWER_FACTOR = {Rectifier.SINGLE_PHASE: 0.62, Rectifier.THREE_PHASE: 0.93}
"""True power factor near full load. Common practice."""
LINE_FACTOR = {Rectifier.SINGLE_PHASE: 1.0, Rectifier.THREE_PHASE: math.sqrt(3)}


@dataclass(frozen=True)
class Drive:
    """A drive and how it is set.

    :param rated_power_w: motor power that it is sold for, W.
    :param rated_current_a: output, A.
    :param base_frequency_hz: frequency at which it gives its highest volts.
    :param base_voltage_v: those volts.
    :param exponent: of V = V_b (f/f_b)^m.
    :param boost: volts added near standstill, over base volts; fades out toward base frequency.
    :param rectifier: how it is fed.
    """

    rated_power_w: Real
    rated_current_a: Real
    base_frequency_hz: Real
    base_voltage_v: Real
    exponent: Real = LINEAR
    boost: Real = 0.0
    rectifier: Rectifier = Rectifier.THREE_PHASE


@dataclass(frozen=True)
class DriveInput:
    """What a drive takes from the line, with where its own share goes; powers in W."""

    input_power_w: Real
    current_a: Real
    power_factor: Real
    motor_input_w: Real
    drive_loss_w: Real
    harmonic_loss_w: Real


def output_voltage(drive: Drive, frequency_hz: Real) -> Real:
    """Volts at an output frequency, V = V_b (b (1 − f/f_b) + (f/f_b)^m), never above V_b.

    :param frequency_hz: Hz, above zero.

    Above base frequency the volts stay and the field weakens. Validity: steady running. Source: common practice of V/f
    control; N. Mohan, Electric Machines and Drives, on constant flux.
    """
    ratio = frequency_hz / drive.base_frequency_hz
    within = choose(ratio < 1, ratio, 1.0)
    return drive.base_voltage_v * (drive.boost * (1 - within) + within**drive.exponent)


def drive_input(drive: Drive, motor: MotorPoint, line_voltage: Real) -> DriveInput:
    """What a drive takes from the line for a motor at a solved point.

    :param motor: the motor as solved on a sinusoidal supply of the drive's volts and hertz.
    :param line_voltage: V, line to line.

    Validity: output up to the drive's rating. Source: our judgement, no source, for the loss shares; true power factor
    common practice.
    """
    harmonic = HARMONIC_LOSS * motor.total_loss_w
    own = drive.rated_power_w * (FIXED_LOSS + CURRENT_LOSS * motor.current_a / drive.rated_current_a)
    watts = motor.input_power_w + harmonic + own
    factor = TRUE_POWER_FACTOR[drive.rectifier]
    amps = watts / (line_voltage * LINE_FACTOR[drive.rectifier] * factor)
    return DriveInput(watts, amps, factor + 0 * amps, motor.input_power_w + harmonic, own, harmonic)


def derated_for_single_phase(drive: Drive) -> Drive:
    """The drive with what it may give when a three-phase input is fed with one phase.

    :raises OutsideValidity: a drive that is made for one phase already. Source: common practice; the maker decides.
    """
    if drive.rectifier is Rectifier.SINGLE_PHASE:
        raise OutsideValidity("This drive is made for a single-phase supply: its rating holds as it is.")
    share = SINGLE_PHASE_INPUT_SHARE
    return replace(
        drive,
        rated_power_w=drive.rated_power_w * share,
        rated_current_a=drive.rated_current_a * share,
        rectifier=Rectifier.SINGLE_PHASE,
    )
