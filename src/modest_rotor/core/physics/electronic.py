"""Electronically commutated motors, and permanent-magnet motors on a drive: losses, limits, and what they are told."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum

from modest_rotor.core.estimate import Array
from modest_rotor.core.physics.fields import RAD_S_PER_RPM, Real

STANDBY_W = 2.0
"""Electronics awake with the rotor still, W; small motors lie at 2 to 4. Our judgement, no source."""
COPPER_LOSS_SHARE = 0.130
"""Loss that grows with torque squared, at rated torque, as a share of rated power. Our judgement, no source."""
SPEED_LOSS_SHARE = 0.039
"""Loss that grows with speed to the power 1.3, at rated speed, as a share of rated power. Our judgement, no source."""
SPEED_LOSS_EXPONENT = 1.3
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
class ControlModule:
    """The electronics of an electronic motor: a part of its own, replaced without the motor.

    :param standby_w: taken with the rotor still.
    :param loss_share: loss that grows with speed, at rated speed, over rated power; the motor's iron counted with it.
    :param power_factor: true power factor of its rectifier.
    :param torque_limit: over rated torque; ``power_limit`` over rated power; ``speed_limit`` over rated speed.
    :param soft_start_s: time to full speed.
    :param stopping: how it brings the rotor to rest.
    """

    standby_w: Real = STANDBY_W
    loss_share: Real = SPEED_LOSS_SHARE
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
    :param copper_share: k_c, loss at rated torque over rated power; the winding's.
    :param loss_scale: m, 1 for the typical motor; carries how far real ones scatter.
    :param poles: of a permanent-magnet motor on a drive; 0 where they do not matter.
    :param module: its electronics; another is put in by ``dataclasses.replace``.
    """

    rated_power_w: Real
    rated_speed_rpm: Real
    copper_share: Real = COPPER_LOSS_SHARE
    loss_scale: Real = 1.0
    poles: int = 0
    module: ControlModule = ControlModule()

    @property
    def rated_torque_nm(self) -> Real:
        """Rated torque P_N / ω_N, N·m."""
        return self.rated_power_w / (self.rated_speed_rpm * RAD_S_PER_RPM)

    def drive_frequency_hz(self, speed_rpm: Real) -> Real:
        """Output frequency of the drive of a permanent-magnet motor, f = n p / 120: it turns without slip."""
        return speed_rpm * self.poles / 120


def input_power_w(
    shaft_power_w: Array, rated_power_w: float | Array, torque_ratio: Array, speed_ratio: Array, loss_scale: Array
) -> Array:
    """Input power W = P + m (P_0 + k_c (T/T_N)² + k_i (n/n_N)^1.3), in W.

    :param shaft_power_w: shaft power P in W.
    :param rated_power_w: rated power in W.
    :param torque_ratio: torque over rated torque.
    :param speed_ratio: speed over rated speed.
    :param loss_scale: m, 1 for the typical motor; carries how far real ones scatter.

    Validity: 1/20 to 1 of rated speed, torque up to rated. Source: our judgement, no source; it reproduces what is seen
    on a quarter-horse fan (220 W at 1,720 rpm, 75 W at 1,200 rpm, about 5 W at 400 rpm; common practice, no source).
    """
    copper = COPPER_LOSS_SHARE * rated_power_w * torque_ratio**2
    iron = SPEED_LOSS_SHARE * rated_power_w * speed_ratio**SPEED_LOSS_EXPONENT
    return shaft_power_w + loss_scale * (STANDBY_W + copper + iron)


def losses_w(motor: ElectronicMotor, torque_nm: Real, speed_rpm: Real) -> dict[str, Real]:
    """Losses of a motor by name, m (P_0, k_c P_N (T/T_N)², k_i P_N (n/n_N)^1.3), in W.

    :param torque_nm: shaft torque, N·m.
    :param speed_rpm: rpm, zero or more.

    Validity and source: as :func:`input_power_w`.
    """
    torque, speed = torque_nm / motor.rated_torque_nm, speed_rpm / motor.rated_speed_rpm
    return {
        "standby": motor.loss_scale * motor.module.standby_w,
        "windings": motor.loss_scale * motor.copper_share * motor.rated_power_w * torque * torque,
        "core and module": motor.loss_scale
        * motor.module.loss_share
        * motor.rated_power_w
        * speed**SPEED_LOSS_EXPONENT,
    }


def torque_limit_nm(motor: ElectronicMotor, speed_rpm: Real) -> Real:
    """Most torque at a speed, N·m: the torque limit, above some speed the power limit.

    :param speed_rpm: rpm, above zero. Validity: up to the speed limit. Source: definition of the limits.
    """
    by_power = motor.module.power_limit * motor.rated_power_w / (speed_rpm * RAD_S_PER_RPM)
    by_torque = motor.module.torque_limit * motor.rated_torque_nm
    return (by_power + by_torque - abs(by_power - by_torque)) / 2
