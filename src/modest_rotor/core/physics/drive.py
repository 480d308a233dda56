"""Variable-frequency drives: the volts they give at a frequency, what they lose, what they take from the line."""

from __future__ import annotations

import math
from dataclasses import dataclass, replace
from functools import cache

import numpy as np

from modest_rotor.core.coded import Coded
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import Array
from modest_rotor.core.physics.fields import Real, choose
from modest_rotor.core.physics.motor_point import MotorPoint
from modest_rotor.core.say import say
from modest_rotor.core.standards.motors import W_PER_HP
from modest_rotor.core.tables import read_table

HARMONIC_LOSS = 0.08
"""Losses that the drive's waveform adds in the motor, as a share of the motor's losses. Our judgement, no source."""
NO_LOAD_AMPS = 0.4
"""Amps of an idling motor over its full-load amps: 0.3 to 0.5 for ordinary four-pole ones. Common practice, no source."""
LINEAR, VARIABLE_TORQUE = 1.0, 1.7
"""Exponents of V(f): 1 holds the flux, 1.5 to 2.9 starve a fan motor at low frequency on purpose. Common practice."""
SINGLE_PHASE_INPUT_SHARE = 0.5
"""Share of a three-phase drive's rating that it may give when fed with one phase: rectifier and DC link carry the whole
current. Common practice; the drive's maker decides."""


class Rectifier(Coded):
    """How a drive takes its power."""

    SINGLE_PHASE = "single-phase"
    THREE_PHASE = "three-phase"


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
    :param trim: share by which the volts stand over or under that line.
    :param rectifier: how it is fed.
    """

    rated_power_w: Real
    rated_current_a: Real
    base_frequency_hz: Real
    base_voltage_v: Real
    exponent: Real = LINEAR
    boost: Real = 0.0
    trim: Real = 0.0
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
    """Volts at an output frequency, V = V_b (1 + t) (b (1 − f/f_b) + (f/f_b)^m), never above V_b.

    :param frequency_hz: Hz, above zero.

    Above base frequency the volts stay and the field weakens. Validity: steady running. Source: common practice of V/f
    control; N. Mohan, Electric Machines and Drives, on constant flux.
    """
    ratio = frequency_hz / drive.base_frequency_hz
    within = choose(ratio < 1, ratio, 1.0)
    volts = (1 + drive.trim) * (drive.boost * (1 - within) + within**drive.exponent)
    return drive.base_voltage_v * choose(volts < 1, volts, 1.0)


@cache
def _loss_shares() -> tuple[Array, Array, Array]:
    """Ratings of the table of drives, W, and for each the loss over rating without current and what the whole current adds.

    The sheet tells its losses by load: of fans and pumps, whose amps fall slower than their watts.
    """
    rows = read_table("drive_efficiency")
    sizes = list(dict.fromkeys(float(row["power_hp"]) for row in rows))
    fixed: list[float] = []
    grown: list[float] = []
    for size in sizes:
        of_size = [row for row in rows if float(row["power_hp"]) == size]
        load, efficiency = (
            np.array([float(row[column]) / 100 for row in of_size]) for column in ("load", "efficiency")
        )
        amps = fan_load_current(load)
        lost = load * (1 / efficiency - 1)
        slope, at_none = np.polyfit(amps, lost, 1)
        if at_none < 0:  # no drive gains by idling
            slope, at_none = amps @ lost / (amps @ amps), 0.0
        fixed.append(float(at_none))
        grown.append(float(slope))
    return np.array(sizes) * W_PER_HP, np.array(fixed), np.array(grown)


def fan_load_current(load: Array) -> Array:
    """Motor amps over the rated ones where a fan takes a share of the rated power, √(i₀² + (1 − i₀²) t²) with t = P^⅔.

    :param load: power over the rated one. i₀ is :data:`NO_LOAD_AMPS`; torque goes with the square of speed, flux is held.

    Validity: fans and pumps without lift. Source: the magnetizing and the load current at right angles, textbook.
    """
    return np.sqrt(NO_LOAD_AMPS**2 + (1 - NO_LOAD_AMPS**2) * load ** (4 / 3))


def drive_loss_w(rated_power_w: Real, current_ratio: Real) -> Real:
    """What a drive itself loses, P_N (f + c I ÷ I_N), in W.

    :param rated_power_w: motor power that it is sold for, W; beyond the table's ends as at its ends.
    :param current_ratio: output current over the rated one.

    Validity: 3 to 400 hp; smaller drives lose rather more. Source: f and c are straight lines through the losses of the
    published sheet at each size (US Department of Energy, Motor Systems Tip Sheet 11) over :func:`fan_load_current` of its
    loads, between sizes linear in the logarithm.
    """
    sizes, fixed, grown = _loss_shares()
    at = np.log(rated_power_w)
    f, c = (np.interp(at, np.log(sizes), column) for column in (fixed, grown))
    return rated_power_w * (f + c * current_ratio)


def drive_input(drive: Drive, motor: MotorPoint, line_voltage: Real) -> DriveInput:
    """What a drive takes from the line for a motor at a solved point.

    :param motor: the motor as solved on a sinusoidal supply of the drive's volts and hertz.
    :param line_voltage: V, line to line.

    Validity: output up to the drive's rating. Source: losses as :func:`drive_loss_w`; those that its wave adds in the motor
    our judgement, no source; true power factor common practice.
    """
    harmonic = HARMONIC_LOSS * motor.total_loss_w
    own = drive_loss_w(drive.rated_power_w, motor.current_a / drive.rated_current_a)
    watts = motor.input_power_w + harmonic + own
    factor = TRUE_POWER_FACTOR[drive.rectifier]
    amps = watts / (line_voltage * LINE_FACTOR[drive.rectifier] * factor)
    return DriveInput(watts, amps, factor + 0 * amps, motor.input_power_w + harmonic, own, harmonic)


def derated_for_single_phase(drive: Drive) -> Drive:
    """The drive with what it may give when a three-phase input is fed with one phase.

    :raises OutsideValidity: a drive that is made for one phase already. Source: common practice; the maker decides.
    """
    if drive.rectifier is Rectifier.SINGLE_PHASE:
        raise OutsideValidity(say("physics-drive-derated-for-single-phase"))
    share = SINGLE_PHASE_INPUT_SHARE
    return replace(
        drive,
        rated_power_w=drive.rated_power_w * share,
        rated_current_a=drive.rated_current_a * share,
        rectifier=Rectifier.SINGLE_PHASE,
    )
