"""Synchronous reluctance motors as made: two currents that share the work as their maker's control has it, iron by its flux, and a drive of
its own size. No equation of it is the estimator's, which knows classes and a tip sheet.
"""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from benchmarks.truths.electronic import DriveTruth, draw_drive

CLASSED_W = np.array([370.0, 750, 1100, 1500, 2200, 3000, 4000, 5500, 7500, 11000, 15000])
CLASSED = {
    2: np.array([0.781, 0.835, 0.852, 0.865, 0.88, 0.891, 0.90, 0.909, 0.917, 0.926, 0.933]),
    4: np.array([0.811, 0.857, 0.872, 0.882, 0.895, 0.904, 0.911, 0.919, 0.926, 0.933, 0.939]),
    6: np.array([0.78, 0.827, 0.845, 0.859, 0.874, 0.886, 0.895, 0.905, 0.913, 0.923, 0.929]),
}
"""Motor alone at rating: the class that such motors are sold in, IEC 60034-30-1 (from memory)."""


@dataclass(frozen=True)
class ReluctanceTruth:
    """Losses at rating, W, by where they arise.

    :param field: share of the squared amps at rating that makes the field. :param held: how the field follows the torque: nought holds
        it, a half lets both currents go with the root of torque.
    """

    power: float
    rpm: float
    copper: float
    iron: float
    friction: float
    stray: float
    field: float
    held: float
    drive: DriveTruth
    drive_share: float
    standby: float

    def watts(self, shaft: float, rpm: float) -> float:
        """At the line."""
        n, t = rpm / self.rpm, (shaft / rpm) / (self.power / self.rpm)
        flux = t**self.held
        amps = np.sqrt(self.field * flux**2 + (1 - self.field) * (t / flux) ** 2)
        lost = (
            self.copper * amps**2
            + self.iron * n**1.6 * flux**1.7
            + self.friction * n**2.5
            + self.stray * amps**2 * n**1.5
        )
        return float(self.drive.watts(shaft + lost, lost, self.drive_share * float(amps)))


def draw_reluctance(rng: np.random.Generator, power: float, rpm: float, poles: int) -> ReluctanceTruth:
    """A motor and drive that somebody sells, of a rating in W and rpm: bought by its class, some better, some a little worse."""
    u = rng.uniform
    sold = CLASSED[min(CLASSED, key=lambda count: abs(count - poles))]
    classed = float(np.interp(np.log(power), np.log(CLASSED_W), sold))
    lost = power * (1 / classed - 1) * float(np.exp(-0.02 + 0.10 * rng.standard_normal()))
    shares = np.array([u(0.5, 0.75), u(0.12, 0.3), u(0.04, 0.12), u(0.03, 0.1)])
    copper, iron, friction, stray = shares / shares.sum() * lost
    larger = u(1.05, 1.45)
    drive = draw_drive(rng, larger * power)
    return ReluctanceTruth(
        power, rpm, copper, iron, friction, stray, u(0.2, 0.45), u(0.1, 0.5), drive, u(0.8, 1.0), u(6, 20)
    )
