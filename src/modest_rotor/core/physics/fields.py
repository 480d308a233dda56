"""Rotating fields of induction motors: what a field meets in the air gap, and how the iron saturates.

Everything here is written with plain operators, so that one definition serves a single number (quick in Python itself)
and arrays of thousands of motors.
"""

from __future__ import annotations

import math
from collections.abc import Callable
from typing import Any, TypeAlias

import numpy as np

Real: TypeAlias = Any
"""A float, or an array of floats."""
Phasor: TypeAlias = Any
"""A complex number, or an array of them; rms."""

FIRST_FLUX = 0.85
"""Flux with which the search for the saturated reactance begins: about that of rated load."""
AITKEN_ROUNDS = 2
"""Rounds of Aitken's acceleration; two leave less than a millionth of the reactance."""
NOISE = 1e-12
"""Relative change of a reactance below which its last digits are noise."""
NEVER_ZERO = 1e-300
HAIR = 1e-9
"""A part in a thousand million: how near two numbers count as the same."""
RAD_S_PER_RPM = math.pi / 30
"""2π ÷ 60."""


def rotor_admittance(slip: Real, rotor_resistance: Real, rotor_reactance: Real) -> Phasor:
    """Admittance 1 / (R_2/s + jX_2) of the rotor as one field sees it, in S.

    :param slip: slip s of the rotor against this field, above zero (for the field that turns backward it is 2 − s).
    :param rotor_resistance: R_2 referred to the stator, Ω.
    :param rotor_reactance: X_2 referred to the stator, Ω.

    Validity: sinusoidal supply. Source: Fitzgerald, Kingsley and Umans, Electric Machinery, ch. 6.
    """
    return 1 / (rotor_resistance / slip + 1j * rotor_reactance)


def field_impedance(magnetising_reactance: Real, core_conductance: Real, rotor: Phasor) -> Phasor:
    """Impedance jX_m ‖ R_c ‖ rotor that one rotating field meets in the air gap, in Ω.

    :param magnetising_reactance: X_m, Ω.
    :param core_conductance: 1/R_c across the field, S; zero where core loss is left out.
    :param rotor: the rotor's admittance, S.

    Source: the same.
    """
    return 1 / (rotor + core_conductance - 1j / magnetising_reactance)


def saturated_reactance(unsaturated: Real, share: Real, exponent: Real, flux: Real) -> Real:
    """Magnetising reactance X_m / (1 + k_s φⁿ) at a flux φ relative to that of rated volts and hertz, in Ω.

    :param unsaturated: X_m with little flux, Ω.
    :param share: k_s, by how much the magnetising current grows at rated flux; 0.2 to 0.55 in small motors.
    :param exponent: n, about 6.
    :param flux: φ = (E/V_N)(f_N/f) of the forward field.

    Validity: φ up to about 1.3. Source: our judgement, no source, for the law and its numbers.
    """
    return unsaturated / (1 + share * flux**exponent)


def settle_saturation(
    unsaturated: Real, share: Real, exponent: Real, flux_at: Callable[[Real], Real], near: Real | None = None
) -> Real:
    """The magnetising reactance that agrees with the flux it leads to, in Ω.

    :param unsaturated: X_m with little flux, Ω.
    :param share: k_s.
    :param exponent: n.
    :param flux_at: relative flux that the machine has with a given reactance.
    :param near: relative flux at a point nearby, which spares a round.

    Validity: as :func:`saturated_reactance`; the fixed point attracts, since flux hardly depends on the reactance. Source:
    A. C. Aitken, Proc. Roy. Soc. Edinburgh 46 (1926), for the acceleration.
    """
    now = saturated_reactance(unsaturated, share, exponent, FIRST_FLUX if near is None else near)
    for _ in range(AITKEN_ROUNDS if near is None else 1):
        first = saturated_reactance(unsaturated, share, exponent, flux_at(now)) - now
        second = saturated_reactance(unsaturated, share, exponent, flux_at(now + first)) - now - first
        bend = first - second
        # Where nothing is left to gain, the quotient would only divide noise by noise.
        telling = abs(bend) > NOISE * now
        now = now + first + choose(telling, second * first / choose(telling, bend, 1.0), 0.0)
    return now


def choose(condition: Any, yes: Real, no: Real) -> Real:
    """``yes`` where the condition holds, else ``no``; plain numbers stay plain, which keeps single points quick.

    Source: definition.
    """
    if isinstance(condition, (bool, np.bool_)):
        return yes if condition else no
    return np.where(condition, yes, no)
