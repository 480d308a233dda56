"""Fit a motor to its plate and whatever was read on it; the answer knows the cloud of motors that would fit as well."""

from __future__ import annotations

from dataclasses import dataclass
from functools import cached_property

import numpy as np

from modest_rotor.core.estimate import Array, Estimate
from modest_rotor.core.identify.candidate import Candidates, Tap, at_rated, candidates, highest_slip, usual_tap
from modest_rotor.core.identify.least_squares import MOST_ROUNDS, minimise
from modest_rotor.core.identify.motor import PlateFacts
from modest_rotor.core.identify.rows import SHARED, Agreement, Reading, log_ratio
from modest_rotor.core.physics.operating_point import InductionMotor
from modest_rotor.core.say import say

SECOND_START = (("r1", -1.0), ("r2", 0.5), ("a", 1.0), ("xm", -0.5))
"""Where the second search begins, in standard deviations: a stiff motor with many auxiliary turns."""
SMALL = 0.05
TELLING_LOADS = (0.3, 0.65, 1.0, 1.5)
"""Slips over rated slip at which two motors are compared."""
SMALLEST_DIRECTION, MOST_DIRECTIONS = 0.02, 6
"""Directions that move the outputs by less than this share of the greatest are dropped: under a thousandth of an uncertainty."""


@dataclass(frozen=True)
class FittedMotor:
    """A motor that agrees best with plate and readings, and how far it may be from the truth.

    :param agreement: the rows it was fitted to.
    :param numbers: the best numbers, shape ``(count,)``.
    :param residuals: each row's disagreement, in standard deviations.
    :param covariance: of the numbers, shape ``(count, count)``.
    """

    agreement: Agreement
    numbers: Array
    residuals: Array
    covariance: Array

    @property
    def plate(self) -> PlateFacts:
        """The plate it was fitted to."""
        return self.family.plate

    @property
    def family(self) -> Candidates:
        """The family of motors it is taken from."""
        return self.agreement.family

    @property
    def cost(self) -> float:
        """Half the sum of squared residuals: about 2 for an ordinary plate."""
        return float(self.residuals @ self.residuals) / 2

    @cached_property
    def motor(self) -> InductionMotor:
        """The best motor."""
        return self.family.motor(self.numbers)

    @cached_property
    def estimates(self) -> tuple[Estimate, ...]:
        """Each number with its error sources: the meters that readings share by their own names, then the motor's own.

        A triangular factor of the covariance with the meters first keeps their names whole. What is left of the motor's
        uncertainty is turned so that few directions carry nearly all that torque, watts and amps can tell; the rest is dropped.
        """
        return self.named(say("term-this-motor"))

    @cached_property
    def as_new(self) -> tuple[Estimate, ...]:
        """The numbers of a new motor of this plate: as uncertain, by sources of its own, and read by no meter."""
        return self.named(say("term-a-new-motor"), readings=False)

    def named(self, whose: str, readings: bool = True) -> tuple[Estimate, ...]:
        """The same with the motor's own sources under another name: those of a new motor are its own.

        :param whose: how the sources are called.
        :param readings: whether the errors of meters and readings belong to it; not to a new motor.
        """
        first = self.family.count
        order = [*range(first, first + len(SHARED)), *range(first), *range(first + len(SHARED), len(self.numbers))]
        factor = np.asarray(np.linalg.cholesky(self.covariance[np.ix_(order, order)]), float)
        back = np.argsort(order)
        meters, own = factor[back][:, : len(SHARED)], factor[back][:, len(SHARED) :]
        own = own @ self._directions(own)
        names = (*SHARED, *(f"{whose}, {i + 1}" for i in range(own.shape[1])))
        contributions = np.hstack((meters if readings else 0 * meters, own))
        return tuple(
            Estimate(float(value), {name: float(size) for name, size in zip(names, row, strict=True) if size})
            for value, row in zip(self.numbers, contributions, strict=True)
        )

    def _directions(self, own: Array) -> Array:
        """Directions among the motor's own sources, the most telling first; shape ``(sources, directions)``."""
        base = self._tells(self.numbers)
        told = (self._tells(self.numbers + SMALL * own.T) - base).T / SMALL
        _, size, turned = np.linalg.svd(told, full_matrices=False)
        kept = min(int(np.sum(size > SMALLEST_DIRECTION * size[0])), MOST_DIRECTIONS)
        return np.asarray(turned[:kept].T)

    def _tells(self, numbers: Array) -> Array:
        """Logarithms of shaft power, watts and amps at a few slips and at every reading, along the last axis."""
        rated = self.plate.rated_power_w or 1.0
        slips = np.minimum(np.array(TELLING_LOADS) * (self.plate.rated_slip or 0.05), highest_slip(self.plate))
        points = [self.family.motor(numbers[..., None, :]).at_slip(at_rated(self.plate), slips)]
        if self.agreement.readings:
            points.append(self.agreement.at_readings(numbers, points[0].total_loss_w[..., TELLING_LOADS.index(1.0)]))
        columns = [
            (log_ratio(at.shaft_power_w / rated), np.log(at.input_power_w), np.log(at.current_a)) for at in points
        ]
        return np.concatenate([column for point in columns for column in point], axis=-1)

    def residual(self, row: str) -> float:
        """One row's disagreement, in standard deviations.

        :param row: its name. Source: definition of a residual over its standard deviation.
        """
        return float(self.residuals[self.agreement.names.index(row)])


def fit_motor(
    plate: PlateFacts, readings: tuple[Reading, ...] = (), taps: tuple[Tap, ...] = (), most_rounds: int = MOST_ROUNDS
) -> FittedMotor:
    """The motor that agrees best with a plate, with what its kind usually is, and with every reading.

    :param plate: kind, power, volts, rated speed and frequency are needed; amps and capacitor help.
    :param readings: running points, any number.
    :param taps: what is known of lower taps; those that are not here are taken as usual.
    :param most_rounds: fewer than usual where only the cost is asked for, and only roughly.
    :returns: the motor of greatest posterior probability and the covariance around it.
    :raises OutsideValidity: when the plate lacks what a fit begins with.

    Validity: sound motors near their plate; a motor that does not fit comes back with large residuals. Source: Bayesian least
    squares, A. Tarantola, Inverse Problem Theory, ch. 3; priors our judgement, no source.
    """
    known = {tap.name: tap for tap in taps}
    used = dict.fromkeys(reading.tap for reading in readings if reading.tap)
    agreement = Agreement(candidates(plate, tuple(known.get(name) or usual_tap(name) for name in used)), readings)
    starts = np.zeros((2, agreement.count))
    for name, at in SECOND_START:
        if name in agreement.family.index:
            starts[1, agreement.family.index[name]] = at
    best = minimise(agreement.residuals, starts, most_rounds)
    normal = best.jacobian.T @ best.jacobian
    covariance = np.linalg.inv(normal)
    return FittedMotor(agreement, best.numbers, best.residuals, (covariance + covariance.T) / 2)
