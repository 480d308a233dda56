"""What a duct or a pipe asks for: a part that stays at no flow, and a part that grows with flow."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import Array
from modest_rotor.core.physics.fields import Real
from modest_rotor.core.quantities import in_both_units
from modest_rotor.core.say import Number, say

TURBULENT = 2.0
USUAL_EXPONENT, EXPONENT_SPREAD = 1.9, 0.06
"""Exponent of ordinary ducts and water circuits and its standard deviation: straight friction follows 1.8 to 1.86, fittings and
open dampers 2, filters and coils less. Friction by the Colebrook equation over usual sizes and speeds; the mix our judgement."""
LEAST_SPREAD = 0.05
"""Share by which flows must differ for a fixed part to be told from them. Our judgement, no source."""
LEAST_EXPONENT = 1.0
"""A system that grows slower than flow itself does not exist: laminar flow has 1."""


@dataclass(frozen=True)
class SystemCurve:
    """p = p_0 + k qⁿ.

    :param fixed_pressure: p_0, Pa: static lift of a pump, or a pressure that a controller holds in a duct.
    :param coefficient: k, Pa/(m³/s)ⁿ.
    :param exponent: n, 2 for fully turbulent flow.

    Source: Darcy–Weisbach for turbulent flow; ASHRAE Handbook, Fundamentals, duct design chapter.
    """

    fixed_pressure: Real
    coefficient: Real
    exponent: Real = TURBULENT

    @property
    def is_turbulent(self) -> bool:
        """Whether it grows with flow squared exactly."""
        return not isinstance(self.exponent, np.ndarray) and self.exponent == TURBULENT

    def pressure_at(self, flow: Real) -> Real:
        """Pressure needed at a flow, in the unit of ``fixed_pressure``."""
        power = flow * flow if self.is_turbulent else flow**self.exponent
        return self.fixed_pressure + self.coefficient * power

    def tightened(self, ratio: Real) -> SystemCurve:
        """The system with its flow-dependent part multiplied, as by a loaded filter or a damper."""
        return SystemCurve(self.fixed_pressure, self.coefficient * ratio, self.exponent)

    def with_more(self, pressure: Real, flow: Real) -> SystemCurve:
        """The system with one more resistance in it, for example a filter that drops ``pressure`` at ``flow``."""
        return SystemCurve(self.fixed_pressure, self.coefficient + pressure / flow**self.exponent, self.exponent)


def system_through(flow: Real, pressure: Real, fixed_pressure: Real, exponent: Real = TURBULENT) -> SystemCurve:
    """The system curve with a given fixed part that passes through one measured point.

    :param flow: measured flow, m³/s, above zero (array of scenarios allowed).
    :param pressure: measured pressure, Pa.
    :param fixed_pressure: pressure that stays at no flow, Pa, below the measured pressure.
    :raises OutsideValidity: no flow, or a fixed part not below the measured pressure in the nominal scenario.
    """
    if not np.ravel(flow)[0] > 0:
        raise OutsideValidity(say("system-through-system-curve"))
    fixed, whole = float(np.ravel(fixed_pressure)[0]), float(np.ravel(pressure)[0])
    if fixed >= whole:
        raise OutsideValidity(
            say(
                "system-through-pressure-stays",
                in_both_units=in_both_units(fixed, "pressure"),
                in_both_units_2=in_both_units(whole, "pressure"),
            )
        )
    return SystemCurve(fixed_pressure, np.maximum(pressure - fixed_pressure, 0.0) / flow**exponent, exponent)


def fit_system(flow: Array, pressure: Array, exponent: float = TURBULENT) -> SystemCurve:
    """The system curve p = p_0 + k qⁿ nearest to two readings or more, by least squares.

    :param flow: m³/s, above zero, shape ``(readings,)``; readings with one setting of dampers, filter and valves.
    :param pressure: Pa.
    :param exponent: n.
    :raises OutsideValidity: one reading, readings at one flow, or a pressure that falls as flow grows.

    A fixed part that comes out below zero is taken as none. Validity: the span of the readings. Source: ordinary least
    squares; Darcy–Weisbach.
    """
    if len(flow) < 2 or np.ptp(flow) < LEAST_SPREAD * np.max(flow):
        raise OutsideValidity(say("system-fit-system-tell-system"))
    if (flow <= 0).any() or exponent < LEAST_EXPONENT:
        raise OutsideValidity(
            say(
                "system-fit-system-system-s", least_exponent=Number(LEAST_EXPONENT, "g"), exponent=Number(exponent, "g")
            )
        )
    q = flow**exponent
    slope, fixed = np.polyfit(q, pressure, 1)
    if slope <= 0:
        raise OutsideValidity(say("system-fit-system-pressure-falls"))
    if fixed < 0:
        return SystemCurve(0.0, float(q @ pressure / (q @ q)), exponent)
    return SystemCurve(float(fixed), float(slope), exponent)
