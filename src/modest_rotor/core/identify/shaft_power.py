"""Shaft power from readings by the fitted motor: each method by itself, and the one value that uses them all."""

from __future__ import annotations

import numpy as np

from modest_rotor.core.coded import Coded
from modest_rotor.core.estimate import Array, Estimate, propagate
from modest_rotor.core.identify.candidate import at_rated, highest_slip
from modest_rotor.core.identify.fit import FittedMotor
from modest_rotor.core.identify.rows import Agreement, Reading
from modest_rotor.core.physics.operating_point import LEAST_SLIP


class FittedMethod(Coded):
    """The methods from a reading to shaft power that go through the fitted motor."""

    SPEED = "speed"
    AMPS = "amps"
    WATTS = "watts"
    ALL = "all"


STRUCTURE = {FittedMethod.SPEED: 0.025, FittedMethod.AMPS: 0.03, FittedMethod.WATTS: 0.04, FittedMethod.ALL: 0.015}
"""How far a real motor strays from these equations in shaft power, standard deviation as a share. Our own study."""
STRUCTURE_OF_RATED = {
    FittedMethod.SPEED: 0.008,
    FittedMethod.AMPS: 0.02,
    FittedMethod.WATTS: 0.026,
    FittedMethod.ALL: 0.012,
}
"""The same as a share of rated power, which governs at low load. Our own study."""


def by_methods(
    fit: FittedMotor, place: int, methods: tuple[FittedMethod, ...], reading: Reading
) -> dict[FittedMethod, Estimate | None]:
    """Shaft power at one reading by several methods, W; nothing where that reading lacks what a method needs.

    :param fit: fitted to the plate and the speeds alone; for :attr:`FittedMethod.ALL` to every reading.
    :param place: which of its readings.
    :param methods: the methods.
    :param reading: that reading with everything that was read.

    By speed: P at the speed, volts and temperature read. By amps: V I cos φ η with the fitted power factor and efficiency at
    that speed. By watts: W η likewise. Source: the equations of the motor's kind; spread our own study of simulated motors.
    """
    agreement = fit.agreement
    needed = {
        FittedMethod.SPEED: reading.speed,
        FittedMethod.AMPS: reading.current,
        FittedMethod.WATTS: reading.input_power,
        FittedMethod.ALL: True,
    }
    wanted = [
        method
        for method in methods
        if needed[method] is not None and (method is FittedMethod.ALL or reading.speed is not None)
    ]

    def work(*columns: Array) -> Array:
        numbers = np.concatenate(columns, axis=-1)
        at = agreement.at_readings(numbers, rated_loss(agreement, numbers))
        power = at.shaft_power_w[..., place]
        watts = (reading.input_power or 0.0) * (
            1 + agreement.meter_sd("input_power") * agreement.shared(numbers, "wattmeter")
        )
        amps = (reading.current or 0.0) * (1 + agreement.meter_sd("current") * agreement.shared(numbers, "clamp meter"))
        of = {
            FittedMethod.SPEED: power,
            FittedMethod.ALL: power,
            FittedMethod.WATTS: power / at.input_power_w[..., place] * watts,
            FittedMethod.AMPS: power / at.current_a[..., place] * amps,
        }
        return np.stack([of[method] for method in wanted], axis=-1)

    found = dict(zip(wanted, propagate(work, *fit.estimates), strict=True)) if wanted else {}
    return {
        method: _with_structure(found[method], method, fit, reading) if method in found else None for method in methods
    }


def by_method(fit: FittedMotor, place: int, method: FittedMethod, reading: Reading) -> Estimate | None:
    """One of :func:`by_ways`.

    :param place: of the reading in the fit. :returns: W; nothing where the method lacks a reading. Source: there.
    """
    return by_methods(fit, place, (method,), reading)[method]


def _with_structure(power: Estimate, method: FittedMethod, fit: FittedMotor, reading: Reading) -> Estimate:
    rated = fit.plate.rated_power_w or 0.0
    spread = float(np.hypot(STRUCTURE[method] * power.value, STRUCTURE_OF_RATED[method] * rated))
    return power.with_contribution(f"equations of the motor, {reading.name}", spread)


def with_structure_of_all(power: Estimate, fit: FittedMotor, reading: Reading) -> Estimate:
    """A shaft power from all readings, W, widened by how far a real motor strays from the equations.

    :param reading: what was read, which decides by which equations. Source: our own study of simulated motors, docs/how-
    good.md.
    """
    return _with_structure(power, FittedMethod.ALL, fit, reading)


def rated_loss(agreement: Agreement, numbers: Array) -> Array:
    """Losses at rated load of the motors of an array of numbers, W.

    :param numbers: standard normal, shape ``(..., count)``. Source: rated power over efficiency less rated power,
    definition.
    """
    plate = agreement.family.plate
    slip = np.clip(agreement.family.true_rated_slip(numbers), LEAST_SLIP, highest_slip(plate))
    return np.asarray(agreement.family.motor(numbers).at_slip(at_rated(plate), slip).total_loss_w)
