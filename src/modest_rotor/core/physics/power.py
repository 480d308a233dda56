"""Electrical power at the line, and what capacitors take and hold."""

from __future__ import annotations

import math

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.say import Number, say

PHASE_FACTOR = {1: 1.0, 3: math.sqrt(3)}


def apparent_power_va(voltage_v: float, current_a: float, phases: int) -> float:
    """Apparent power S = V I, with three phases √3 V I, in VA.

    :param voltage_v: line to line. :param current_a: line amps. :param phases: 1 or 3.
    :raises OutsideValidity: another number of phases. Source: definition.
    """
    if phases not in PHASE_FACTOR:
        raise OutsideValidity(say("power-apparent-power-va", phases=phases))
    return voltage_v * current_a * PHASE_FACTOR[phases]


def power_factor(input_power_w: float, voltage_v: float, current_a: float, phases: int) -> float:
    """True power factor λ = W ÷ S, distortion included; 0 to 1.

    :param input_power_w: true watts. Other parameters as :func:`apparent_power_va`.
    :raises OutsideValidity: more watts than volt-amperes, or no volt-amperes. Source: definition; IEEE Std 1459.
    """
    apparent = apparent_power_va(voltage_v, current_a, phases)
    if not 0 <= input_power_w <= apparent or apparent == 0:
        raise OutsideValidity(
            say("power-factor", input_power_w=Number(input_power_w, ",.0f"), apparent=Number(apparent, ",.0f"))
        )
    return input_power_w / apparent


def input_power_from_current_w(voltage_v: float, current_a: float, factor: float, phases: int) -> float:
    """Watts W = S λ.

    :param factor: true power factor, 0 to 1. Other parameters and errors as :func:`apparent_power_va`. Source: definition.
    """
    return apparent_power_va(voltage_v, current_a, phases) * factor


def capacitance_from_running_f(current_a: float, voltage_v: float, frequency_hz: float) -> float:
    """Capacitance C = I ÷ (2π f V), F, from its own amps and the volts across it while it works.

    :raises OutsideValidity: no volts or no hertz. Source: definition of reactance.
    """
    if voltage_v <= 0 or frequency_hz <= 0:
        raise OutsideValidity(
            say(
                "power-capacitance-from-running-f",
                voltage_v=Number(voltage_v, "g"),
                frequency_hz=Number(frequency_hz, "g"),
            )
        )
    return current_a / (2 * math.pi * frequency_hz * voltage_v)


def capacitor_current_a(capacitance_f: float, voltage_v: float, frequency_hz: float) -> float:
    """Amps of a capacitor, I = 2π f C V. :param capacitance_f: F. Source: definition of reactance."""
    return 2 * math.pi * frequency_hz * capacitance_f * voltage_v


def capacitors_together_f(first_f: float, second_f: float) -> tuple[float, float]:
    """Two capacitors side by side, then one behind the other, F.

    :raises OutsideValidity: one that is not above zero. Source: definition.
    """
    if min(first_f, second_f) <= 0:
        raise OutsideValidity(say("power-capacitors-together-f"))
    return first_f + second_f, first_f * second_f / (first_f + second_f)
