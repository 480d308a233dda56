"""The year of a rig: hours at its controls and hours at low, each solved."""

from __future__ import annotations

from dataclasses import replace

from modest_rotor.core.bench.stand import Controls, Stand, at_the_line, hertz_of, solved
from modest_rotor.core.errors import OutsideValidity

HOURS_OF_A_YEAR = 8760.0
W_PER_KW = 1000.0


def at_low(stand: Stand, controls: Controls) -> Controls:
    """The controls of the hours at low: fewer hertz of a drive, or less of what an electronic motor is told.

    :raises OutsideValidity: hours at low of a motor that knows one speed only. Source: definition.
    """
    if stand.is_electronic:
        return replace(controls, value=controls.value * controls.low)
    if stand.drive is None:
        raise OutsideValidity("Hours at low need a drive or an electronic motor: this one knows one speed.")
    return replace(controls, hertz=hertz_of(stand, controls) * controls.low)


def year_kwh(stand: Stand, controls: Controls) -> float:
    """Energy of a year, kWh: watts at the line times hours, at these controls and at low.

    :raises OutsideValidity: more hours than a year has; as :func:`at_low`. Source: definition.
    """
    if controls.hours + controls.low_hours > HOURS_OF_A_YEAR:
        raise OutsideValidity(f"A year has {HOURS_OF_A_YEAR:,.0f} hours.")
    parts = [(controls.hours, controls)]
    if controls.low_hours:
        parts.append((controls.low_hours, at_low(stand, controls)))
    return sum(hours * _watts(stand, one) for hours, one in parts) / W_PER_KW


def _watts(stand: Stand, controls: Controls) -> float:
    point = solved(stand, controls)
    running = min(controls.fans or stand.load.running, stand.load.running)
    return at_the_line(stand, point.motor, running).watts
