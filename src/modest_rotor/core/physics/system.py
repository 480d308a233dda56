"""What a duct or a pipe asks for: a part that stays at no flow, and a part that grows with flow."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import Array

TURBULENT = 2.0


@dataclass(frozen=True)
class SystemCurve:
    """p = p_0 + k qⁿ.

    :param fixed_pressure: p_0, Pa: static lift of a pump, or a pressure that a controller holds in a duct.
    :param coefficient: k, Pa/(m³/s)ⁿ.
    :param exponent: n, 2 for fully turbulent flow.

    Source: Darcy–Weisbach for turbulent flow; ASHRAE Handbook, Fundamentals, duct design chapter.
    """

    fixed_pressure: Array
    coefficient: Array
    exponent: float = TURBULENT

    def pressure_at(self, flow: Array) -> Array:
        """Pressure needed at a flow, in the unit of ``fixed_pressure``."""
        return self.fixed_pressure + self.coefficient * flow**self.exponent


def system_through(flow: Array, pressure: Array, fixed_pressure: Array, exponent: float = TURBULENT) -> SystemCurve:
    """The system curve with a given fixed part that passes through one measured point.

    :param flow: measured flow, m³/s, above zero (array of scenarios allowed).
    :param pressure: measured pressure, Pa.
    :param fixed_pressure: pressure that stays at no flow, Pa, below the measured pressure.
    :raises OutsideValidity: no flow, or a fixed part not below the measured pressure in the nominal scenario.
    """
    if not np.ravel(flow)[0] > 0:
        raise OutsideValidity("A system curve needs a measured flow above zero.")
    fixed, whole = float(np.ravel(fixed_pressure)[0]), float(np.ravel(pressure)[0])
    if fixed >= whole:
        raise OutsideValidity(
            f"The pressure that stays at no flow, {fixed:,.0f} Pa, is not below the {whole:,.0f} Pa measured while running."
        )
    return SystemCurve(fixed_pressure, np.maximum(pressure - fixed_pressure, 0.0) / flow**exponent, exponent)
