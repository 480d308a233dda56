"""The year of a rig: hours at its controls and hours at low, each solved."""

from __future__ import annotations

from dataclasses import replace

from modest_rotor.core.bench.stand import Controls, Stand, at_the_line, hertz_of, solved

W_PER_KW = 1000.0


def at_low(stand: Stand, controls: Controls) -> Controls:
    """The controls of the hours at low: fewer hertz of a drive, or less of what an electronic motor is told.

    Source: definition.
    """
    if stand.is_electronic:
        return replace(controls, value=controls.value * controls.low)
    return replace(controls, loop=False, hertz=hertz_of(stand, controls) * controls.low)


def year_kwh(stand: Stand, controls: Controls) -> float:
    """Energy of a year, kWh: watts at the line times hours, at these controls and at low.

    :raises OutsideValidity: as :func:`setup_of`. Source: definition.
    """
    parts = [(controls.hours, controls)] if controls.hours else []
    if controls.low_hours:
        parts.append((controls.low_hours, at_low(stand, controls)))
    return sum(hours * at_the_line(stand, one, solved(stand, one).motor).watts for hours, one in parts) / W_PER_KW
