"""What feeds a motor: volts, hertz, what stands in the line, which tap is live, and how warm the winding is."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.physics.fields import Real
from modest_rotor.core.say import Number, say

COPPER_PER_K = 0.00393
"""Rise of copper's resistance from 20 °C, 1/K: IEC 60028."""
ALUMINIUM_PER_K = 0.0040
"""Rise of cast aluminium's resistance from 20 °C, 1/K. Common practice for rotor cages."""
COLD_C = 20.0
REFERENCE_C = 80.0
"""Winding temperature at which a motor's parameters hold: warm at rated load in a 28 °C room. Our judgement, no source."""
RATED_RISE_K = 52.0
"""Rise of a warm winding at rated losses. Our judgement, no source."""


@dataclass(frozen=True)
class Supply:
    """The supply at the motor's leads and what belongs to the way it is switched.

    :param voltage: volts, V rms (line to line for three phases).
    :param frequency: Hz.
    :param series_resistance: of a regulator in the line, Ω.
    :param series_reactance: of a choke in the line at ``frequency``, Ω.
    :param tap: extra series turns of the speed tap over the turns of the main winding; 0 on the high tap.
    :param tap_in_line: 1 where the extra turns carry the line current, 0 where they carry the main winding's alone; between
        the two while it is not known which.
    :param winding_c: winding temperature, °C.
    :param rotor_c: rotor temperature, °C.
    :param capacitor_health: capacitance over the label's.
    """

    voltage: Real
    frequency: Real
    series_resistance: Real = 0.0
    series_reactance: Real = 0.0
    tap: Real = 0.0
    tap_in_line: Real = 0.0
    winding_c: Real = REFERENCE_C
    rotor_c: Real = REFERENCE_C
    capacitor_health: Real = 1.0


def refuse_dead(supply: Supply) -> None:
    """Refuses a supply without volts or hertz.

    :raises OutsideValidity: either is not above zero. Source: no field turns without both.
    """
    volts, hertz = least(supply.voltage), least(supply.frequency)
    if not (volts > 0 and hertz > 0):
        raise OutsideValidity(say("physics-supply-refuse-dead", volts=Number(volts, "g"), hertz=Number(hertz, "g")))


def least(value: Real) -> float:
    """The smallest of an array, or the number itself; places without a number, where nothing was solved, do not count.

    Source: definition.
    """
    if isinstance(value, (int, float)):
        return float(value)
    numbers = np.asarray(value, float)
    return float(np.min(numbers, where=np.isfinite(numbers), initial=np.inf))


def resistance_ratio(temperature_c: Real, per_kelvin: float) -> Real:
    """Resistance at a temperature over that at the reference temperature of the motor models.

    :param temperature_c: °C.
    :param per_kelvin: rise from 20 °C, 1/K.

    Validity: −40 to 200 °C. Source: linear law of metals; IEC 60034-1 uses the same with 235 °C for copper.
    """
    return (1 + per_kelvin * (temperature_c - COLD_C)) / (1 + per_kelvin * (REFERENCE_C - COLD_C))


def warm_temperature_c(ambient_c: Real, loss_ratio: Real) -> Real:
    """Temperature of a winding that has run for half an hour or more, °C.

    :param ambient_c: air around the motor, °C.
    :param loss_ratio: losses over rated losses.

    Validity: motors in their own or the fan's air stream. Source: our judgement, no source; losses and rise in proportion.
    """
    return ambient_c + RATED_RISE_K * loss_ratio
