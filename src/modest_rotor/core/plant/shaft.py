"""A shaft in time: torques over inertia, and whatever goes toward its goal at a steady rate."""

from __future__ import annotations

import math

from modest_rotor.core.physics.fields import RAD_S_PER_RPM


def pushed(speed_rpm: float, torque_nm: float, inertia_kgm2: float, seconds: float) -> float:
    """Speed after a short time under a torque, J dω/dt = T, rpm; a shaft that stands is not pushed backwards.

    :param torque_nm: of the motor less the load's, N·m. :param inertia_kgm2: of all that turns. :param seconds: short against
        the time in which the torque changes.

    Source: Newton, one explicit step.
    """
    return max(speed_rpm + torque_nm / inertia_kgm2 * seconds / RAD_S_PER_RPM, 0.0)


def toward(now: float, goal: float, most: float) -> float:
    """What goes to a goal by at most so much: a ramp, or a soft start. Source: definition."""
    return goal if abs(goal - now) <= most else now + math.copysign(most, goal - now)
