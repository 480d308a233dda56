"""Electronic motors as made: a permanent-magnet machine, its inverter, rectifier and control supply; and drives."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

SOLD_W = np.array([10.0, 40, 93, 187, 373, 560, 746, 1500, 3000, 6000, 15000])
SOLD_AS = np.array([0.55, 0.64, 0.695, 0.735, 0.77, 0.79, 0.80, 0.835, 0.865, 0.885, 0.905])
"""Shaft over line at rating, as fractional-horsepower electronic motors and EC fan drives are printed (from memory)."""


@dataclass(frozen=True)
class ElectronicTruth:
    """Losses at rating, W, by where they arise; what the line's waveform makes of them is ``factor``."""

    power: float
    rpm: float
    copper: float
    hysteresis: float
    eddy: float
    friction: float
    conduction: float
    switching: float
    rectifier: float
    control: float
    factor: float

    def watts(self, shaft: float, rpm: float) -> float:
        """At the line."""
        n, t = rpm / self.rpm, (shaft / rpm) / (self.power / self.rpm)
        link = shaft + self.copper * t**2 + self.hysteresis * n + self.eddy * n**2 + self.friction * n**2.5
        link += self.conduction * (0.6 * t + 0.4 * t**2) + self.switching * (0.35 + 0.65 * t)
        return link + self.rectifier * link / self._link + self.control

    @property
    def _link(self) -> float:
        lost = self.copper + self.hysteresis + self.eddy + self.friction + self.conduction + self.switching
        return self.power + lost

    @property
    def standby(self) -> float:
        """W with the rotor still: the control supply, less what the gates took."""
        return 0.6 * self.control

    @property
    def efficiency(self) -> float:
        """At rating."""
        return self.power / self.watts(self.power, self.rpm)


def draw_electronic(rng: np.random.Generator, power: float, rpm: float, phases: int = 1) -> ElectronicTruth:
    """An electronic motor that somebody sells, of a rating in W and rpm."""
    u = rng.uniform
    sold = float(np.interp(np.log(power), np.log(SOLD_W), SOLD_AS)) + (0.02 if phases == 3 else 0.0)
    wanted = float(np.clip(sold + 0.028 * rng.standard_normal(), 0.4, 0.93))
    lost = power * (1 / wanted - 1)
    control = min(u(1.5, 3.5) + u(0.005, 0.012) * power * (power / 373) ** -0.3, 0.35 * lost)
    shares = np.array(
        [u(0.30, 0.55), u(0.08, 0.2), u(0.04, 0.15), u(0.02, 0.08), u(0.1, 0.2), u(0.06, 0.15), u(0.05, 0.12)]
    )
    copper, hysteresis, eddy, friction, conduction, switching, rectifier = shares / shares.sum() * (lost - control)
    factor = u(0.52, 0.68) if phases == 1 else u(0.86, 0.95)
    return ElectronicTruth(
        power, rpm, copper, hysteresis, eddy, friction, conduction, switching, rectifier, control, factor
    )


@dataclass(frozen=True)
class DriveTruth:
    """A drive: fixed, current and switching losses over its rating; what its ripple adds to the motor's losses."""

    power: float
    fixed: float
    linear: float
    square: float
    ripple: float

    def watts(self, motor_watts: float, motor_losses: float, amps_share: float) -> float:
        """At the line."""
        own = self.fixed + self.linear * amps_share + self.square * amps_share**2
        return motor_watts + self.ripple * motor_losses + own * self.power


def draw_drive(rng: np.random.Generator, power: float) -> DriveTruth:
    """A drive of a motor's rating, W: about 95 to 97.5 % at rating, less when small (reference converters of IEC 61800-9-2)."""
    lost = 0.055 * (power / 2200) ** -0.3 * float(np.exp(0.18 * rng.standard_normal()))
    fixed = rng.uniform(0.35, 0.6)
    square = rng.uniform(0.1, 0.3)
    return DriveTruth(power, lost * fixed, lost * (1 - fixed - square), lost * square, rng.uniform(0.04, 0.12))
