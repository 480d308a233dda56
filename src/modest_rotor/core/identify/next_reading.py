"""What one more reading would be worth, before it is taken: how far the uncertainty of shaft power would fall."""

from __future__ import annotations

import math
from dataclasses import replace
from enum import StrEnum

import numpy as np

from modest_rotor.core.estimate import Array, Estimate, propagate
from modest_rotor.core.identify.fit import FittedMotor
from modest_rotor.core.identify.rows import STRUCTURE_SD, Agreement, Reading
from modest_rotor.core.identify.shaft_power import rated_loss, with_structure_of_all
from modest_rotor.core.say import say


class Measurand(StrEnum):
    """A reading that could still be taken, by the name of its field."""

    SPEED = "speed"
    WATTS = "input_power"
    AMPS = "current"


TACHOMETER_SHARE = 5e-4
"""Standard deviation of a tachometer, as a share of the speed; far finer than the slip it tells. Common practice, no source."""
LEAST_SHOWN = 1e-9
"""Below it no meter shows anything, and no logarithm is taken."""


def worth(fit: FittedMotor, place: int, reading: Reading) -> dict[Measurand, tuple[Estimate, Estimate]]:
    """Shaft power as it is known now and as it would be known after each reading not yet taken, W.

    :param fit: fitted to the plate and every reading so far.
    :param place: which of its readings.
    :param reading: that reading.
    :returns: for each that was not read, the estimate before and after, both with the spread of the equations.

    The reading is taken to show just what is expected, so the value stays and the uncertainty falls by what the reading shares with
    shaft power: the update of a Gaussian by one observation. Validity: to first order. Source: Bayesian least squares,
    A. Tarantola, Inverse Problem Theory, ch. 3; R. E. Kalman, J. Basic Eng. 82 (1960), one step.
    """
    missing = [measurand for measurand in Measurand if getattr(reading, measurand.value) is None]
    if not missing:
        return {}
    agreement = fit.agreement

    def work(*columns: Array) -> Array:
        numbers = np.concatenate(columns, axis=-1)
        at = agreement.at_readings(numbers, rated_loss(agreement, numbers))
        shown = {
            Measurand.SPEED: np.log(np.maximum(at.speed_rpm, LEAST_SHOWN)),
            Measurand.WATTS: np.log(np.maximum(at.input_power_w, LEAST_SHOWN)),
            Measurand.AMPS: np.log(np.maximum(at.current_a, LEAST_SHOWN)),
        }
        return np.stack(
            [at.shaft_power_w[..., place], *(shown[measurand][..., place] for measurand in missing)], axis=-1
        )

    power, *expected = propagate(work, *fit.estimates)
    now = with_structure_of_all(power, fit, reading)
    found = {}
    for measurand, shows in zip(missing, expected, strict=True):
        after = _after(power, shows, _noise(measurand, agreement), say("next-reading-worth", measurand=measurand.value))
        found[measurand] = (now, with_structure_of_all(after, fit, reading))
    return found


def _noise(measurand: Measurand, agreement: Agreement) -> float:
    """Standard deviation of the logarithm of what a reading will show about what the fitted motor expects."""
    return (
        TACHOMETER_SHARE
        if measurand is Measurand.SPEED
        else math.hypot(STRUCTURE_SD, agreement.meter_sd(measurand.value))
    )


def _after(power: Estimate, shown: Estimate, noise: float, name: str) -> Estimate:
    shared = sum(
        contribution * power.contributions.get(source, 0.0) for source, contribution in shown.contributions.items()
    )
    gain = shared / (shown.standard**2 + noise**2)
    narrowed = power - replace(shown, value=0.0) * gain
    return narrowed.with_contribution(name, abs(gain) * noise)
