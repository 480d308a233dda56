"""Rotating fields of induction motors: the impedance that a field meets, and the power that it hands to the rotor."""

from __future__ import annotations

import numpy as np
import numpy.typing as npt

from modest_rotor.core.estimate import Array

Phasor = npt.NDArray[np.complex128]


def field_impedance(
    slip: Array, magnetising_reactance: Array, rotor_resistance: Array, rotor_reactance: Array, core_resistance: Array
) -> Phasor:
    """Impedance jX_m ‖ R_c ‖ (R_2/s + jX_2) that one rotating field meets in the air gap, in Ω.

    :param slip: slip s of the rotor against this field, not zero (for the field that turns backward it is 2 − s).
    :param magnetising_reactance: X_m, Ω.
    :param rotor_resistance: R_2 referred to the stator, Ω.
    :param rotor_reactance: X_2 referred to the stator, Ω.
    :param core_resistance: R_c across the field, Ω; infinite where core loss is left out.

    Validity: sinusoidal supply, no saturation. Source: Fitzgerald, Kingsley and Umans, Electric Machinery, ch. 6.
    """
    rotor = rotor_resistance / slip + 1j * rotor_reactance
    return np.asarray(1 / (1 / (1j * magnetising_reactance) + 1 / core_resistance + 1 / rotor), complex)


def rotor_power_w(field_emf: Phasor, slip: Array, rotor_resistance: Array, rotor_reactance: Array) -> Array:
    """Power that a field hands to the rotor, |E|² Re(1 / (R_2/s − jX_2)), in W for one winding.

    :param field_emf: air-gap emf E of the field, V, rms phasor.

    The other arguments are those of :func:`field_impedance`. Source: the same.
    """
    rotor = rotor_resistance / slip + 1j * rotor_reactance
    return np.abs(field_emf) ** 2 * np.real(1 / np.conj(rotor))
