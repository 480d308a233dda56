"""What every induction motor has: the parameters that its equivalent circuit shares with the other kinds."""

from __future__ import annotations

from dataclasses import dataclass

from modest_rotor.core.physics.fields import Real
from modest_rotor.core.physics.supply import Supply


@dataclass(frozen=True)
class InductionCircuit:
    """Parameters at rated frequency and 80 °C, of one phase or of the main winding; floats, or arrays of one shape.

    :param rated_voltage: V, line to line with three phases. :param rated_frequency: Hz.
    :param main_resistance: R_1, Ω. :param main_reactance: leakage X_1, Ω.
    :param magnetising_reactance: X_m with little flux, Ω.
    :param rotor_resistance: R_2, Ω. :param rotor_reactance: X_2, Ω.
    :param core_conductance: 1/R_c, S.
    :param friction_nm: friction and windage of the motor itself, N·m.
    :param stray_resistance: stray loss of all phases over line current squared, Ω.
    :param saturation: k_s. :param saturation_exponent: n.
    """

    poles: Real
    rated_voltage: Real
    rated_frequency: Real
    main_resistance: Real
    main_reactance: Real
    magnetising_reactance: Real
    rotor_resistance: Real
    rotor_reactance: Real
    core_conductance: Real = 0.0
    friction_nm: Real = 0.0
    stray_resistance: Real = 0.0
    saturation: Real = 0.0
    saturation_exponent: Real = 6.0

    def synchronous_rpm(self, supply: Supply) -> Real:
        """Synchronous speed on a supply, rpm."""
        return 120 * supply.frequency / self.poles
