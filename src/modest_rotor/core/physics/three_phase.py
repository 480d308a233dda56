"""The three-phase induction motor by its equivalent circuit for one phase."""

from __future__ import annotations

import math
from dataclasses import dataclass, replace

import numpy as np

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.physics.circuit import InductionCircuit
from modest_rotor.core.physics.fields import (
    RAD_S_PER_RPM,
    Phasor,
    Real,
    field_impedance,
    rotor_admittance,
    settle_saturation,
)
from modest_rotor.core.physics.motor_point import MotorPoint
from modest_rotor.core.physics.supply import ALUMINIUM_PER_K, COPPER_PER_K, Supply, refuse_dead, resistance_ratio
from modest_rotor.core.say import say

PHASES = 3


@dataclass(frozen=True)
class ThreePhaseMotor(InductionCircuit):
    """A three-phase motor by one phase of the equivalent star."""

    def at_slip(self, supply: Supply, slip: Real, near: MotorPoint | None = None) -> MotorPoint:
        """See :func:`solve_three_phase`."""
        return solve_three_phase(self, supply, slip, near)


def solve_three_phase(motor: ThreePhaseMotor, supply: Supply, slip: Real, near: MotorPoint | None = None) -> MotorPoint:
    """Speed, torque, current, powers and losses of a three-phase induction motor at one slip.

    :param motor: its parameters.
    :param supply: balanced three-phase supply, volts line to line.
    :param slip: above 0 and below 2; broadcasts against the parameters.
    :param near: a point of the same motor nearby, from which the search for the saturation begins.
    :raises OutsideValidity: a slip at or beyond synchronous speed; a supply without volts or hertz.

    Validity: balanced sinusoidal supply. Source: Fitzgerald, Kingsley and Umans, Electric Machinery, ch. 6; IEEE Std 112.
    """
    if not (np.min(slip) > 0 and np.max(slip) < 2):
        raise OutsideValidity(say("three-phase-solve-three-phase"))
    refuse_dead(supply)
    hertz = supply.frequency / motor.rated_frequency
    phase_v = supply.voltage / math.sqrt(PHASES)
    rotor_r = motor.rotor_resistance * resistance_ratio(supply.rotor_c, ALUMINIUM_PER_K)
    rotor = rotor_admittance(slip, rotor_r, motor.rotor_reactance * hertz)
    core = motor.core_conductance / hertz
    own = motor.main_resistance * resistance_ratio(supply.winding_c, COPPER_PER_K) + 1j * motor.main_reactance * hertz
    line = supply.series_resistance + 1j * supply.series_reactance
    unsaturated = motor.magnetising_reactance * hertz
    around = own + line

    def flux_at(reactance: Real) -> Real:
        gap = field_impedance(reactance, core, rotor)
        return abs(gap / (around + gap)) * (supply.voltage / (motor.rated_voltage * hertz))

    saturates = isinstance(motor.saturation, np.ndarray) or motor.saturation > 0
    exponent = motor.saturation_exponent
    known = near.flux if near else None
    reactance = settle_saturation(unsaturated, motor.saturation, exponent, flux_at, known) if saturates else unsaturated
    gap = field_impedance(reactance, core, rotor)
    current = phase_v / (around + gap)
    return _point(motor, supply, slip, (own, line, gap, current), rotor, core)


def _point(
    motor: ThreePhaseMotor,
    supply: Supply,
    slip: Real,
    circuit: tuple[Phasor, Phasor, Phasor, Phasor],
    rotor: Phasor,
    core: Real,
) -> MotorPoint:
    own, line, gap, current = circuit
    phase_v = supply.voltage / math.sqrt(PHASES)
    e2, i2 = abs(current * gap) ** 2, abs(current) ** 2
    to_rotor = PHASES * e2 * rotor.real
    synchronous_rpm = motor.synchronous_rpm(supply)
    synchronous_rad = synchronous_rpm * RAD_S_PER_RPM
    stray = motor.stray_resistance * i2 * (1 - slip)  # none at standstill
    torque = (to_rotor - stray) / synchronous_rad - motor.friction_nm
    speed = synchronous_rad * (1 - slip)
    amps = abs(current)
    power_in = PHASES * phase_v * current.real
    losses = {
        "windings": PHASES * own.real * i2,
        "regulator and tap": PHASES * line.real * i2,
        "rotor": slip * to_rotor,
        "core": PHASES * core * e2,
        "friction": motor.friction_nm * speed,
        "stray": stray * (1 - slip),
    }
    return MotorPoint(
        speed_rpm=synchronous_rpm * (1 - slip),
        slip=slip,
        torque_nm=torque,
        shaft_power_w=torque * speed,
        input_power_w=power_in,
        current_a=amps,
        power_factor=power_in / (PHASES * phase_v * amps),
        main_current_a=amps,
        auxiliary_current_a=0 * amps,
        capacitor_voltage_v=0 * amps,
        flux=math.sqrt(PHASES) * abs(current * gap) * motor.rated_frequency / (motor.rated_voltage * supply.frequency),
        losses_w=losses,
    )


def backward_field(motor: ThreePhaseMotor, supply: Supply, slip: Real, unbalance: Real) -> tuple[MotorPoint, Real]:
    """What the field that unbalanced volts turn backwards does: the motor on it alone, and the torque by which it brakes, N·m.

    :param supply: the forward volts. :param slip: against the forward field, above 0 and below 2.
    :param unbalance: backward over forward volts, a share above 0. Errors as :func:`solve_three_phase`.

    The torque is that in the gap: bearings and fan are dragged once, by whichever fields turn the rotor. Validity: small unbalance,
    where the forward field alone sets the saturation. Source: symmetrical components, Fitzgerald, Kingsley and Umans, Electric
    Machinery; NEMA MG 1, 14.36 defines unbalance, which is close to the ratio of backward to forward volts.
    """
    point = solve_three_phase(motor, replace(supply, voltage=supply.voltage * unbalance), 2 - slip)
    return point, point.torque_nm + motor.friction_nm


def pull_out(motor: ThreePhaseMotor, supply: Supply) -> tuple[Real, Real]:
    """Greatest air-gap torque, N·m, and the slip at which it stands, by Thevenin's equivalent of the stator.

    :param motor: its parameters; core loss and saturation are left out. :param supply: volts line to line, Hz.

    T = 3 V_th² ÷ (2 ω_s (R_th + √(R_th² + (X_th + X_2)²))), s = R_2 ÷ √(R_th² + (X_th + X_2)²). Validity: balanced sinusoidal
    supply. Source: Fitzgerald, Kingsley and Umans, Electric Machinery, ch. 6.
    """
    refuse_dead(supply)
    hertz = supply.frequency / motor.rated_frequency
    own = motor.main_resistance * resistance_ratio(supply.winding_c, COPPER_PER_K) + 1j * motor.main_reactance * hertz
    gap = 1j * motor.magnetising_reactance * hertz
    volts = supply.voltage / math.sqrt(PHASES) * abs(gap / (own + gap))
    stator = own * gap / (own + gap)
    reach = abs(complex(stator.real, stator.imag + motor.rotor_reactance * hertz))
    synchronous = motor.synchronous_rpm(supply) * RAD_S_PER_RPM
    rotor = motor.rotor_resistance * resistance_ratio(supply.rotor_c, ALUMINIUM_PER_K)
    return PHASES * volts**2 / (2 * synchronous * (stator.real + reach)), rotor / reach


def unbalanced_heating(unbalance: float, locked_over_rated: float) -> tuple[float, float, float]:
    """Negative-sequence current over rated current, heat of all windings over that on balanced volts, and of the worst at most.

    :param unbalance: negative over positive sequence volts, a fraction; NEMA's greatest distance from the mean is near it.
    :param locked_over_rated: amps with the rotor locked over full-load amps: against the backward field a running motor looks
        like a locked one.
    :raises OutsideValidity: either below zero.

    I_2 = u I_L; heat 1 + I_2² and (1 + I_2)². Validity: up to 5 % unbalance. Source: symmetrical components, Fitzgerald, Kingsley
    and Umans, Electric Machinery; the superposition of :func:`solve_three_phase` at s and 2 − s.
    """
    if unbalance < 0 or locked_over_rated < 0:
        raise OutsideValidity(say("three-phase-unbalanced-heating"))
    backward = unbalance * locked_over_rated
    return backward, 1 + backward**2, (1 + backward) ** 2
