"""Single-phase induction motors: an unsymmetrical two-phase machine solved by its forward and backward fields.

One set of equations serves the split-capacitor motor with its speed taps, its regulator and a drive on it, the kinds that
run on their main winding alone once their start switch has opened, and the shaded-pole motor.
"""

from __future__ import annotations

import math
from dataclasses import dataclass
from enum import Enum

import numpy as np

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.physics.circuit import InductionCircuit
from modest_rotor.core.physics.fields import (
    HAIR,
    RAD_S_PER_RPM,
    Phasor,
    Real,
    field_impedance,
    rotor_admittance,
    settle_saturation,
)
from modest_rotor.core.physics.motor_point import MotorPoint
from modest_rotor.core.physics.supply import ALUMINIUM_PER_K, COPPER_PER_K, Supply, least, refuse_dead, resistance_ratio
from modest_rotor.core.say import Number, say

SWITCH_SPEED_SHARE = 0.75
"""Share of synchronous speed at which a start switch opens. Common practice."""


class Auxiliary(Enum):
    """What the auxiliary winding does while the motor runs."""

    CAPACITOR = say("two-axis-auxiliary-capacitor")
    SWITCHED_OFF = say("two-axis-auxiliary-switched-off")
    SHORTED = say("two-axis-auxiliary-shorted")


@dataclass(frozen=True)
class TwoAxisMotor(InductionCircuit):
    """A single-phase motor, everything referred to its main winding.

    :param turns_ratio: a, effective turns of the auxiliary winding over those of the main.
    :param auxiliary_resistance: Ω. :param auxiliary_reactance: leakage, Ω.
    :param capacitance: run capacitor, F; leave 0 where there is none. :param capacitor_resistance: its series loss, Ω.
    :param deep_bar: R_2 at a rotor frequency twice the line's, as against the backward field near full speed, over R_2.
    :param tilt: turns of a shading ring along the main axis, over those of the main winding.
    """

    turns_ratio: Real = 1.0
    auxiliary_resistance: Real = 0.0
    auxiliary_reactance: Real = 0.0
    capacitance: Real = 0.0
    capacitor_resistance: Real = 0.0
    deep_bar: Real = 1.0
    tilt: Real = 0.0
    auxiliary: Auxiliary = Auxiliary.CAPACITOR

    def at_slip(self, supply: Supply, slip: Real, near: MotorPoint | None = None) -> MotorPoint:
        """See :func:`solve_two_axis`."""
        return solve_two_axis(self, supply, slip, near)


@dataclass(frozen=True)
class _Windings:
    """The two windings on a supply: impedances outside the air gap, and how currents make fields.

    :param line: what both currents meet in the line; ``main`` and ``auxiliary`` in the windings themselves.
    :param main_loop: all that the main winding's loop meets outside the air gap; ``auxiliary_loop`` and ``shared`` likewise.
    :param forward: what a field meets beside the magnetising reactance, as an admittance; ``backward`` likewise.
    """

    line: Phasor
    main: Phasor
    auxiliary: Phasor
    turns: Real
    tilt: Real
    ratio: Real
    main_loop: Phasor
    auxiliary_loop: Phasor
    shared: Phasor
    forward: Phasor
    backward: Phasor
    core: Real


@dataclass(frozen=True)
class _Solved:
    main: Phasor
    auxiliary: Phasor
    forward_emf: Phasor
    backward_emf: Phasor


def solve_two_axis(motor: TwoAxisMotor, supply: Supply, slip: Real, near: MotorPoint | None = None) -> MotorPoint:
    """Speed, torque, currents, powers and losses of a single-phase induction motor at one slip.

    With main-axis turns α = 1 + tap, tilt c and turns ratio a the winding currents make I_α = α I_m + c I_a and
    I_β = a I_a; the fields I_f = I_α − j I_β and I_b = I_α + j I_β meet half the field impedances Z_f and Z_b. With
    S = Z_f + Z_b and D = Z_f − Z_b the axes see U_α = S I_α − j D I_β and U_β = j D I_α + S I_β.

    :param motor: its parameters.
    :param supply: what feeds it.
    :param slip: s against the forward field, above 0 and below 2; broadcasts against the parameters.
    :param near: a point of the same motor nearby, from which the search for the saturation begins.
    :raises OutsideValidity: a slip at or beyond synchronous speed of either field; a motor whose start switch would be
        closed at this speed; a supply without volts or hertz; a run capacitor of nothing.

    Validity: sinusoidal supply; flux up to 1.3 of rated. Source: Fitzgerald, Kingsley and Umans, Electric Machinery,
    ch. 9 (unsymmetrical two-phase machines by rotating fields); saturation and temperature as in their own modules.
    """
    _refuse(motor, supply, slip)
    volts = supply.voltage + 0j
    return _solve(motor, supply, slip, (volts, volts * (motor.auxiliary is Auxiliary.CAPACITOR)), near)


def solve_two_windings(
    motor: TwoAxisMotor, supply: Supply, slip: Real, main_voltage: Phasor, auxiliary_voltage: Phasor
) -> MotorPoint:
    """The same machine with a voltage of its own on each winding, V as rms phasors; ``supply`` gives the rest.

    Arguments, errors, validity and source are those of :func:`solve_two_axis`.
    """
    _refuse(motor, supply, slip)
    return _solve(motor, supply, slip, (main_voltage, auxiliary_voltage), None)


def _refuse(motor: TwoAxisMotor, supply: Supply, slip: Real) -> None:
    refuse_dead(supply)
    low, high = (slip, slip) if isinstance(slip, (int, float)) else (np.min(slip), np.max(slip))
    if not (low > 0 and high < 2):
        raise OutsideValidity(say("two-axis-refuse-slip-asked", low=Number(100 * (high if low > 0 else low), ".1f")))
    if motor.auxiliary is Auxiliary.CAPACITOR and not least(motor.capacitance * supply.capacitor_health) > 0:
        raise OutsideValidity(say("two-axis-refuse-run-capacitor"))
    if motor.auxiliary is Auxiliary.SWITCHED_OFF and high > 1 - SWITCH_SPEED_SHARE + HAIR:
        raise OutsideValidity(
            say(
                "two-axis-refuse-synchronous-speed",
                high=Number(100 * (1 - high), ".0f"),
                switch_speed_share=Number(100 * SWITCH_SPEED_SHARE, ".0f"),
            )
        )


def _solve(
    motor: TwoAxisMotor, supply: Supply, slip: Real, voltages: tuple[Phasor, Phasor], near: MotorPoint | None
) -> MotorPoint:
    windings = _windings(motor, supply, slip)
    unsaturated = motor.magnetising_reactance * (supply.frequency / motor.rated_frequency)
    per_flux = motor.rated_frequency / (motor.rated_voltage * supply.frequency)

    def flux_at(reactance: Real) -> Real:
        return abs(_currents(motor, windings, reactance, *voltages).forward_emf) * per_flux

    saturates = isinstance(motor.saturation, np.ndarray) or motor.saturation > 0
    exponent = motor.saturation_exponent
    known = near.flux if near else None
    reactance = settle_saturation(unsaturated, motor.saturation, exponent, flux_at, known) if saturates else unsaturated
    solved = _currents(motor, windings, reactance, *voltages)
    return _point(motor, supply, slip, windings, solved, voltages)


def _windings(motor: TwoAxisMotor, supply: Supply, slip: Real) -> _Windings:
    hertz = supply.frequency / motor.rated_frequency
    copper = resistance_ratio(supply.winding_c, COPPER_PER_K)
    rotor = motor.rotor_resistance * resistance_ratio(supply.rotor_c, ALUMINIUM_PER_K)
    extra = supply.tap * motor.main_resistance * copper
    line = supply.series_resistance + 1j * supply.series_reactance + extra * supply.tap_in_line
    auxiliary = motor.auxiliary_resistance * copper + 1j * motor.auxiliary_reactance * hertz
    if motor.auxiliary is Auxiliary.CAPACITOR:
        auxiliary = auxiliary + motor.capacitor_resistance
        auxiliary = auxiliary - 1j / (2 * math.pi * supply.frequency * motor.capacitance * supply.capacitor_health)
    main = motor.main_resistance * copper + extra * (1 - supply.tap_in_line)
    turns, tilt = 1 + supply.tap, motor.tilt + supply.tap * supply.tap_in_line
    leakage = 1j * motor.main_reactance * hertz
    through = line if motor.auxiliary is Auxiliary.CAPACITOR else 0.0
    return _Windings(
        line=line,
        main=main,
        auxiliary=auxiliary,
        turns=turns,
        tilt=tilt,
        ratio=motor.turns_ratio,
        main_loop=main + line + turns * turns * leakage,
        auxiliary_loop=auxiliary + through + tilt * tilt * leakage,
        shared=through + turns * tilt * leakage,
        forward=rotor_admittance(slip, rotor * _deep_bar(motor, slip), motor.rotor_reactance * hertz),
        backward=rotor_admittance(2 - slip, rotor * _deep_bar(motor, 2 - slip), motor.rotor_reactance * hertz),
        core=motor.core_conductance / hertz,
    )


def _deep_bar(motor: TwoAxisMotor, slip: Real) -> Real:
    """What currents crowded into the bars' tops make of R_2, by the rotor frequency of the field that drives them.

    At standstill both fields see one frequency, so one winding alone gives no torque. Linear in slip between none at synchronous
    speed and the motor's own at twice the line's: our judgement, no source; textbooks give s² for thin bars, s^½ for deep ones.
    """
    return 1 + (motor.deep_bar - 1) * slip / 2


def _currents(
    motor: TwoAxisMotor, w: _Windings, reactance: Real, main_voltage: Phasor, auxiliary_voltage: Phasor
) -> _Solved:
    z_f = field_impedance(reactance, w.core, w.forward) / 2
    z_b = field_impedance(reactance, w.core, w.backward) / 2
    s = z_f + z_b
    z_main = w.main_loop + w.turns * w.turns * s
    if motor.auxiliary is Auxiliary.SWITCHED_OFF:
        i_m = main_voltage / z_main
        i_a = 0 * i_m
    else:
        cross, shared = 1j * w.turns * w.ratio * (z_f - z_b), w.shared + w.turns * w.tilt * s
        there, back = shared - cross, shared + cross
        z_aux = w.auxiliary_loop + (w.ratio * w.ratio + w.tilt * w.tilt) * s
        determinant = z_main * z_aux - there * back
        i_m = (z_aux * main_voltage - there * auxiliary_voltage) / determinant
        i_a = (z_main * auxiliary_voltage - back * main_voltage) / determinant
    i_alpha, i_beta = w.turns * i_m + w.tilt * i_a, 1j * w.ratio * i_a
    return _Solved(i_m, i_a, z_f * (i_alpha - i_beta), z_b * (i_alpha + i_beta))


def _point(
    motor: TwoAxisMotor, supply: Supply, slip: Real, w: _Windings, solved: _Solved, voltages: tuple[Phasor, Phasor]
) -> MotorPoint:
    i_m, i_a = solved.main, solved.auxiliary
    on_line = motor.auxiliary is Auxiliary.CAPACITOR
    i_line = i_m + i_a if on_line else i_m
    e2_f, e2_b = abs(solved.forward_emf) ** 2, abs(solved.backward_emf) ** 2
    # Each field meets half of every impedance, so the branches behind its emf conduct twice as well.
    gap_f, gap_b = 2 * e2_f * w.forward.real, 2 * e2_b * w.backward.real
    synchronous_rpm = motor.synchronous_rpm(supply)
    synchronous_rad = synchronous_rpm * RAD_S_PER_RPM
    i2_line = abs(i_line) ** 2
    speed = synchronous_rad * (1 - slip)
    # Stray loss brakes a turning rotor: none at standstill.
    stray = motor.stray_resistance * i2_line * (1 - slip)
    torque = (gap_f - gap_b - stray) / synchronous_rad - motor.friction_nm
    power_in = (voltages[0] * i_m.conjugate()).real + (voltages[1] * i_a.conjugate()).real
    capacitor_a = abs(i_a) if on_line else 0 * abs(i_a)
    losses = {
        "windings": w.main.real * abs(i_m) ** 2 + w.auxiliary.real * abs(i_a) ** 2,
        "regulator and tap": w.line.real * i2_line,
        "rotor": slip * gap_f + (2 - slip) * gap_b,
        "core": 2 * w.core * (e2_f + e2_b),
        "friction": motor.friction_nm * speed,
        "stray": stray * (1 - slip),
    }
    amps = abs(i_line)
    return MotorPoint(
        speed_rpm=synchronous_rpm * (1 - slip),
        slip=slip,
        torque_nm=torque,
        shaft_power_w=torque * speed,
        input_power_w=power_in,
        current_a=amps,
        power_factor=power_in / (abs(voltages[0]) * amps),
        main_current_a=abs(i_m),
        auxiliary_current_a=abs(i_a),
        capacitor_voltage_v=(
            capacitor_a / (2 * math.pi * supply.frequency * motor.capacitance * supply.capacitor_health)
            if on_line
            else capacitor_a
        ),
        flux=abs(solved.forward_emf) * motor.rated_frequency / (motor.rated_voltage * supply.frequency),
        losses_w=losses,
    )
