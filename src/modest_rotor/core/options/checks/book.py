"""All fit checks, in the order in which hands meet them."""

from __future__ import annotations

from collections.abc import Callable

from modest_rotor.core.options.checks import electrical, mechanical
from modest_rotor.core.options.checks.place import FitCheck, Fits, Place
from modest_rotor.core.options.contract import OptionKind
from modest_rotor.core.stations.options import Waiver
from modest_rotor.core.stations.statement import standing

CHECKS: tuple[Callable[[Place], FitCheck | None], ...] = (
    electrical.machine,
    electrical.product,
    mechanical.data_sheet,
    mechanical.listing,
    electrical.start_switch,
    electrical.both_makers,
    electrical.volts,
    electrical.phases,
    electrical.hertz,
    electrical.line_on_tap,
    electrical.permanent_supply,
    electrical.command,
    electrical.single_phase_drive,
    mechanical.rotation,
    mechanical.frame,
    mechanical.shaft,
    mechanical.built,
    mechanical.shaft_length,
    mechanical.keyway,
    mechanical.mounting,
    mechanical.attitude,
    mechanical.weather,
    mechanical.air_over,
    mechanical.load,
    mechanical.altitude,
    mechanical.top_speed,
    mechanical.least_speed,
    mechanical.blower_constants,
    electrical.capacitor,
    electrical.code_letter,
    electrical.protection,
    electrical.drive_control,
    electrical.drive_insulation,
    electrical.cable,
    electrical.shaft_currents,
    electrical.earth_leakage,
    electrical.harmonics,
    electrical.several_motors,
)


def look(place: Place, waivers: tuple[Waiver, ...]) -> tuple[FitCheck, ...]:
    """Every check that says something of an option, with what somebody answered for."""
    if place.candidate.kind is OptionKind.KEEP:
        return ()
    own = {
        waiver.check: waiver
        for waiver in standing(waivers)
        if waiver.option == place.candidate.id and waiver.who and waiver.reason
    }
    found = [one for look_ in CHECKS if (one := look_(place)) is not None]
    return tuple(
        one.model_copy(update={"waived_by": own[one.check]})
        if one.fits is Fits.CANNOT and one.can_be_waived and one.check in own
        else one
        for one in found
    )


def verdict(checks: tuple[FitCheck, ...]) -> Fits:
    """Fits, fits with work, cannot, or not known yet: the worst of all checks; a stop that was answered for is work."""
    if any(one.stops for one in checks):
        return Fits.CANNOT
    said = {Fits.WORK if one.fits is Fits.CANNOT else one.fits for one in checks}
    return next((fits for fits in (Fits.UNKNOWN, Fits.WORK) if fits in said), Fits.YES)
