"""Electronically commutated motors, and permanent-magnet motors on a drive: losses, limits, and what they are told."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum
from functools import cached_property

import numpy as np

from modest_rotor.core.physics.fields import RAD_S_PER_RPM, Real
from modest_rotor.core.tables import read_table

ROOT = 1 / 2
STANDBY_AT_NO_RATING_W, STANDBY_PER_ROOT_W = 0.5, 0.15
"""Watts awake with the rotor still, P_0 = 0.5 W + 0.15 W (P_N ÷ 1 W)^½: about 2 W at 100 W, 3.5 at half a horsepower, 9 at 3 kW;
data sheets print 2 to 4 W for fractions of a horsepower and up to 10 above. Our judgement, no source."""
CONTROL_OVER_STANDBY = 1.3
"""Watts of the control while it runs, over those while it stands: gates and sensors. Our judgement, no source."""
MOST_CONTROL = 0.35
"""Share of the losses at rating that the control may be, which only the smallest motors reach."""
CURRENT_SHARE, COPPER_SHARE, SPEED_SHARE = 0.26, 0.43, 0.31
"""What is left of the losses at rating: grown with torque (rectifier and inverter conduct), with torque squared (windings),
and with speed to the power 1.4 (iron, windage, switching). Our judgement, no source; SPREAD_BELOW_RATING says how far it is off."""
SPEED_LOSS_EXPONENT = 1.4
SPREAD_AT_RATING = 0.18
"""Standard deviation of the logarithm of the losses at rating of motors of one rating and kind: 3 points of efficiency at a half
horsepower. Our judgement, no source."""
SPREAD_BELOW_RATING = 0.34
"""Standard deviation of the logarithm of the losses far below rated torque, beside that at rating; grows with (1 − T/T_N). Our
judgement, no source: sheets that print part load differ by as much."""
POWER_FACTOR_PLAIN = 0.60
"""True power factor of a single-phase electronic motor without a choke or active correction. Common practice."""
POWER_LIMIT_SHARE = 1.05
"""Shaft power over rated power at which the electronics hold back. Our judgement, no source."""
TORQUE_LIMIT_SHARE = 1.0
SPEED_LIMIT_SHARE = 1.25
"""Highest speed over rated speed that the electronics allow. Our judgement, no source."""
SOFT_START_S = 8.0
"""Time to full speed by soft start; 5 to 15 s are usual. Common practice."""


class Command(StrEnum):
    """What an electronic motor holds."""

    TORQUE = "torque"
    AIRFLOW = "airflow"
    SPEED = "speed"


class Stopping(StrEnum):
    """How it comes to rest."""

    COASTS = "coasts"
    BRAKES = "brakes"


@dataclass(frozen=True)
class RatedLosses:
    """Losses of an electronic motor at rated torque and speed, W, by what they grow with.

    :param control: stay as long as it runs. :param current: grow with torque. :param copper: with torque squared.
    :param speed: with speed to the power 1.4.
    """

    control: Real
    current: Real
    copper: Real
    speed: Real

    @property
    def whole(self) -> Real:
        """All of them, W."""
        return self.control + self.current + self.copper + self.speed

    def at(self, torque_ratio: Real, speed_ratio: Real, scale: Real = 1.0, below: Real = 0.0) -> Real:
        """Losses m e^{b (1 − T/T_N)} (P_c + P_i T/T_N + P_w (T/T_N)² + P_n (n/n_N)^1.4), W.

        :param torque_ratio: torque over rated torque. :param speed_ratio: speed over rated speed.
        :param scale: m, 1 for the typical motor.
        :param below: b, logarithm by which the losses stray far below rated torque.

        Validity: torque up to rated, 1/20 to 1 of rated speed. Source: the parts are textbook (conduction, copper, iron);
        their shares our judgement, no source.
        """
        grown = (
            self.current * torque_ratio + self.copper * torque_ratio**2 + self.speed * speed_ratio**SPEED_LOSS_EXPONENT
        )
        return scale * np.exp(below * (1 - torque_ratio)) * (self.control + grown)


def typical_efficiency(rated_power_w: float, phases: int = 1) -> float:
    """Efficiency from the line to the shaft at rating that is typical of an electronic motor, a fraction.

    :param rated_power_w: W; beyond the table's ends its ends. :param phases: 1 or 3, of its supply.

    Source: table electronic_motors: the class IE4 of IEC 60034-30-1 less what electronics lose.
    """
    rows = [row for row in read_table("electronic_motors") if row["phases"] == str(phases)]
    sizes, values = (np.array([float(row[column]) for row in rows]) for column in ("power_w", "efficiency"))
    return float(np.interp(np.log(rated_power_w), np.log(sizes), values)) / 100


def typical_standby_w(rated_power_w: Real) -> Real:
    """Watts that the electronics of a motor of this rating take with the rotor still. Source: our judgement, no source."""
    return STANDBY_AT_NO_RATING_W + STANDBY_PER_ROOT_W * rated_power_w**ROOT


def rated_losses(rated_power_w: float, efficiency: float | None = None, phases: int = 1) -> RatedLosses:
    """Losses at rating by what they grow with, W.

    :param rated_power_w: shaft power, W, above zero. :param efficiency: at rating, a fraction; typical where none is given.
    :param phases: of its supply. Source: :class:`RatedLosses`; :func:`typical_efficiency`.
    """
    whole = rated_power_w * (1 / (efficiency or typical_efficiency(rated_power_w, phases)) - 1)
    control = min(CONTROL_OVER_STANDBY * float(typical_standby_w(rated_power_w)), MOST_CONTROL * whole)
    rest = whole - control
    return RatedLosses(control, CURRENT_SHARE * rest, COPPER_SHARE * rest, SPEED_SHARE * rest)


@dataclass(frozen=True)
class ControlModule:
    """The electronics of an electronic motor: a part of its own, replaced without the motor.

    :param standby_w: taken with the rotor still; typical of the rating where nothing is said.
    :param loss_share: what its switches and rectifier lose at rated torque, over rated power; typical where nothing is said.
    :param power_factor: true power factor of its rectifier.
    :param torque_limit: over rated torque; ``power_limit`` over rated power; ``speed_limit`` over rated speed.
    :param soft_start_s: time to full speed.
    :param stopping: how it brings the rotor to rest.
    """

    standby_w: Real | None = None
    loss_share: Real | None = None
    power_factor: Real = POWER_FACTOR_PLAIN
    torque_limit: Real = TORQUE_LIMIT_SHARE
    power_limit: Real = POWER_LIMIT_SHARE
    speed_limit: Real = SPEED_LIMIT_SHARE
    soft_start_s: float = SOFT_START_S
    stopping: Stopping = Stopping.COASTS


@dataclass(frozen=True)
class ElectronicMotor:
    """An electronic motor: one product of two parts, a motor with magnets and its control module.

    :param rated_power_w: shaft power.
    :param rated_speed_rpm: at rated power.
    :param efficiency: from the line to the shaft at rating, a fraction; typical of the rating where nothing is said.
    :param poles: of a permanent-magnet motor on a drive; 0 where they do not matter.
    :param module: its electronics; another is put in by ``dataclasses.replace``.
    """

    rated_power_w: Real
    rated_speed_rpm: Real
    efficiency: float | None = None
    poles: int = 0
    module: ControlModule = ControlModule()

    @property
    def rated_torque_nm(self) -> Real:
        """Rated torque P_N / ω_N, N·m."""
        return self.rated_power_w / (self.rated_speed_rpm * RAD_S_PER_RPM)

    @cached_property
    def losses(self) -> RatedLosses:
        """Its losses at rating, W, with those of its own module."""
        typical, module = rated_losses(float(self.rated_power_w), self.efficiency), self.module
        control = typical.control if module.standby_w is None else CONTROL_OVER_STANDBY * module.standby_w
        current = typical.current if module.loss_share is None else module.loss_share * self.rated_power_w
        return RatedLosses(control, current, typical.copper, typical.speed)

    @property
    def standby_w(self) -> Real:
        """Taken with the rotor still, W."""
        own = self.module.standby_w
        return typical_standby_w(self.rated_power_w) if own is None else own

    def drive_frequency_hz(self, speed_rpm: Real) -> Real:
        """Output frequency of the drive of a permanent-magnet motor, f = n p / 120: it turns without slip."""
        return speed_rpm * self.poles / 120


def losses_w(motor: ElectronicMotor, torque_nm: Real, speed_rpm: Real) -> dict[str, Real]:
    """Losses of a running motor by name, W, as :meth:`RatedLosses.at` adds them up.

    :param torque_nm: shaft torque, N·m. :param speed_rpm: rpm, above zero.

    Validity and source: as there.
    """
    torque, speed = torque_nm / motor.rated_torque_nm, speed_rpm / motor.rated_speed_rpm
    of = motor.losses
    return {
        "control": of.control + 0 * torque,
        "module": of.current * torque,
        "windings": of.copper * torque * torque,
        "core and windage": of.speed * speed**SPEED_LOSS_EXPONENT,
    }


def torque_limit_nm(motor: ElectronicMotor, speed_rpm: Real) -> Real:
    """Most torque at a speed, N·m: the torque limit, above some speed the power limit.

    :param speed_rpm: rpm, above zero. Validity: up to the speed limit. Source: definition of the limits.
    """
    by_power = motor.module.power_limit * motor.rated_power_w / (speed_rpm * RAD_S_PER_RPM)
    by_torque = motor.module.torque_limit * motor.rated_torque_nm
    return (by_power + by_torque - abs(by_power - by_torque)) / 2
