"""The split-capacitor motor: an unsymmetrical two-phase machine solved by its forward and backward fields."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import Array
from modest_rotor.core.physics.fields import Phasor, field_impedance, rotor_power_w


@dataclass(frozen=True)
class SplitCapacitorMotor:
    """Parameters at rated frequency; all may be arrays of one shape, a motor to each place.

    :param main_resistance: R_1 of the main winding, Ω.
    :param main_reactance: leakage reactance X_1 of the main winding, Ω.
    :param magnetising_reactance: X_m seen from the main winding, Ω.
    :param rotor_resistance: R_2 referred to the main winding, Ω.
    :param rotor_reactance: X_2 referred to the main winding, Ω.
    :param turns_ratio: a, effective turns of the auxiliary winding over those of the main.
    :param auxiliary_resistance: Ω.
    :param auxiliary_reactance: leakage reactance, Ω.
    :param capacitor_impedance: Z_c of the run capacitor with its loss, Ω, complex.
    :param core_resistance: R_c seen from the main winding, Ω; infinite where core loss is left out.
    :param synchronous_rad_s: 2π × 2 f ÷ poles, rad/s.
    """

    main_resistance: Array
    main_reactance: Array
    magnetising_reactance: Array
    rotor_resistance: Array
    rotor_reactance: Array
    turns_ratio: Array
    auxiliary_resistance: Array
    auxiliary_reactance: Array
    capacitor_impedance: Phasor
    core_resistance: Array
    synchronous_rad_s: Array


@dataclass(frozen=True)
class TwoPhasePoint:
    """A solved point: rms phasors in A, powers in W, torque in N·m; mechanical power before friction."""

    main_current: Phasor
    auxiliary_current: Phasor
    line_current: Phasor
    input_power_w: Array
    mechanical_power_w: Array
    torque_nm: Array
    copper_loss_w: Array
    core_loss_w: Array


def solve_split_capacitor(motor: SplitCapacitorMotor, slip: Array, voltage: Array) -> TwoPhasePoint:
    """Currents, powers and mean torque of a split-capacitor motor on one line.

    :param motor: its parameters.
    :param slip: slip s against the forward field, above 0 and below 2; broadcast against the parameters.
    :param voltage: line volts, V rms.
    :raises OutsideValidity: a slip at or beyond synchronous speed of either field.

    Validity: sinusoidal supply at rated frequency, high tap, no saturation, no deep-bar effect. Source: Fitzgerald, Kingsley and
    Umans, Electric Machinery, ch. 9 (unsymmetrical two-phase machines by rotating fields).
    """
    return solve_two_windings(motor, slip, np.asarray(voltage, complex), np.asarray(voltage, complex))


def solve_two_windings(
    motor: SplitCapacitorMotor, slip: Array, main_voltage: Phasor, auxiliary_voltage: Phasor
) -> TwoPhasePoint:
    """The same machine with a voltage of its own on each winding, V as rms phasors.

    With E_f = Z_f (I_m − j a I_a) and E_b = Z_b (I_m + j a I_a), where Z_f and Z_b are half the field impedances,
    V_m = (R_1 + jX_1) I_m + E_f + E_b and V_a = (R_a + jX_a + Z_c) I_a + j a (E_f − E_b); torque is the forward field's
    rotor power less the backward field's, over synchronous speed.

    Arguments, errors, validity and source are those of :func:`solve_split_capacitor`.
    """
    if not np.all((slip > 0) & (slip < 2)):
        raise OutsideValidity("The slip of a running or starting motor lies above 0 and below 2.")
    a = motor.turns_ratio
    z_f, z_b = (_half_field(motor, of_field) for of_field in (slip, 2 - slip))
    z_main = motor.main_resistance + 1j * motor.main_reactance + z_f + z_b
    z_own = motor.auxiliary_resistance + 1j * motor.auxiliary_reactance + motor.capacitor_impedance
    z_aux, coupling = z_own + a**2 * (z_f + z_b), 1j * a * (z_f - z_b)
    determinant = z_main * z_aux + coupling**2
    i_m = (z_aux * main_voltage + coupling * auxiliary_voltage) / determinant
    i_a = (z_main * auxiliary_voltage - coupling * main_voltage) / determinant
    e_f, e_b = z_f * (i_m - 1j * a * i_a), z_b * (i_m + 1j * a * i_a)
    gap = _rotor_power(motor, e_f, slip) - _rotor_power(motor, e_b, 2 - slip)
    own_loss = motor.auxiliary_resistance + np.real(motor.capacitor_impedance)
    copper = motor.main_resistance * np.abs(i_m) ** 2 + own_loss * np.abs(i_a) ** 2
    return TwoPhasePoint(
        main_current=i_m,
        auxiliary_current=i_a,
        line_current=i_m + i_a,
        input_power_w=np.real(main_voltage * np.conj(i_m) + auxiliary_voltage * np.conj(i_a)),
        mechanical_power_w=(1 - slip) * gap,
        torque_nm=gap / motor.synchronous_rad_s,
        copper_loss_w=copper + slip * _rotor_power(motor, e_f, slip) + (2 - slip) * _rotor_power(motor, e_b, 2 - slip),
        core_loss_w=(np.abs(e_f) ** 2 + np.abs(e_b) ** 2) / (motor.core_resistance / 2),
    )


def _half_field(motor: SplitCapacitorMotor, slip: Array) -> Phasor:
    return (
        field_impedance(
            slip,
            motor.magnetising_reactance,
            motor.rotor_resistance,
            motor.rotor_reactance,
            motor.core_resistance,
        )
        / 2
    )


def _rotor_power(motor: SplitCapacitorMotor, emf: Phasor, slip: Array) -> Array:
    # Each field meets half of every impedance, so the rotor branch that stands behind its emf is half as well.
    return rotor_power_w(emf, slip, motor.rotor_resistance / 2, motor.rotor_reactance / 2)
