"""Machines that turn in time: the one simulator, of the devices' machines and of the Bench's.

It is handed a machine as it stands and as it is told (:class:`Turned`), and follows its shaft, its drive's output and the sensor of
a loop. What stands on it, a plant with its registers or a rig with its knobs, says the torques, the goals and the ramps.
"""

from __future__ import annotations

import math
from dataclasses import dataclass, replace
from typing import Protocol, TypeVar

from modest_rotor.core.physics.fields import RAD_S_PER_RPM
from modest_rotor.core.physics.loop import Memory, followed

STEP_S = 0.004
"""Step of the integration; the stiffest of the Bench's stands settles in some fifty milliseconds."""
LOOK_S = 0.02
"""How often a drive looks at its sensor and asks itself where to go; in between its goal stands."""
LONGEST_S = 120.0
"""Time that is followed in one go; after it everything has settled."""
STILL_RPM, STILL_PA, STILL_SHARE = 1e-4, 1e-4, 1e-9
"""Changes from one look to the next under which nothing moves any more: of the shaft, of the sensor, of a loop's memory."""
NOTHING_YET = Memory()


@dataclass(frozen=True)
class State:
    """Where a machine has come: speed of the shaft, hertz at a drive's output, seconds for which it has been running.

    ``tube_pa`` and ``felt_pa``: what the sensor of a loop has come to behind each of its lags. ``memory``: of the loop.
    """

    speed_rpm: float = 0.0
    output_hz: float = 0.0
    running_s: float = 0.0
    tube_pa: float = 0.0
    felt_pa: float = 0.0
    memory: Memory = NOTHING_YET


@dataclass(frozen=True)
class Ramp:
    """What goes to a goal at a steady rate, in a second, whatever stands against it."""

    goal: float
    rate: float


class Turned(Protocol):
    """A machine as it stands and as it is told."""

    @property
    def inertia_kgm2(self) -> float:
        """Of all that turns."""

    @property
    def runs(self) -> bool:
        """Whether it is told to run, so that its time running is counted."""

    @property
    def speed_ramp(self) -> Ramp | None:
        """Of a shaft that electronics lead, rpm; nothing where torques decide."""

    @property
    def sensor_lag_s(self) -> float | None:
        """Each of the two lags of the sensor; nothing where there is none."""

    def hertz_ramp(self, state: State, seconds: float) -> tuple[Ramp, Memory]:
        """Where a drive's output goes until the next look, Hz, and what its loop remembers then."""

    def torque_nm(self, speed_rpm: float, output_hz: float) -> float:
        """The motor's torque less the load's.

        :param speed_rpm: of the shaft. :param output_hz: at the drive's output. :returns: N·m. Source: the machine's
        own.
        """

    def sensor_pa(self, speed_rpm: float) -> float:
        """Pressure at the sensor.

        :param speed_rpm: of the shaft. :returns: Pa. Source: the machine's own.
        """

    def is_settled(self, state: State) -> bool:
        """Whether its goals no longer change with time alone."""


Here = TypeVar("Here", bound=State)


def advance(machine: Turned, state: Here, seconds: float) -> Here:
    """The state after some seconds: J dω/dt = T_motor − T_load, ramps, and the sensor's lags.

    :param seconds: at most two minutes are followed; after them everything has settled.

    Validity: quasi-steady torque, no electrical transient; a pressure that stands for a look of the sensor. Source: Newton, by
    explicit steps; textbook dynamics of drives.
    """
    total = min(max(seconds, 0.0), LONGEST_S)
    looks = _parts(total, LOOK_S)
    for done in range(1, looks + 1):
        before, state = state, _looked(machine, state, total / looks)
        if _is_still(before, state) and machine.is_settled(before):
            left = total * (1 - done / looks)
            return replace(state, running_s=state.running_s + left if machine.runs else 0.0)
    return state


def _parts(whole: float, most: float) -> int:
    """In how many equal parts of at most so much something is followed."""
    return math.ceil(whole / most - 1e-9)


def _looked(machine: Turned, state: Here, look: float) -> Here:
    leads = machine.speed_ramp
    ramp, memory = machine.hertz_ramp(state, look)
    speed, hertz, count = state.speed_rpm, state.output_hz, _parts(look, STEP_S) or 1
    step = look / count
    for _ in range(count):
        hertz = toward(hertz, ramp.goal, ramp.rate * step)
        if leads is not None:
            speed = toward(speed, leads.goal, leads.rate * step)
        else:
            speed = pushed(speed, machine.torque_nm(speed, hertz), machine.inertia_kgm2, step)
    tube, felt, lag = state.tube_pa, state.felt_pa, machine.sensor_lag_s
    if lag is not None:
        tube = followed(tube, machine.sensor_pa(speed), lag, look)
        felt = followed(felt, tube, lag, look)
    runs_s = state.running_s + look if machine.runs else 0.0
    return replace(state, speed_rpm=speed, output_hz=hertz, running_s=runs_s, tube_pa=tube, felt_pa=felt, memory=memory)


def _is_still(before: State, after: State) -> bool:
    return (
        abs(after.speed_rpm - before.speed_rpm) < STILL_RPM
        and after.output_hz == before.output_hz
        and abs(after.felt_pa - before.felt_pa) < STILL_PA
        and abs(after.tube_pa - before.tube_pa) < STILL_PA
        and abs(after.memory.integral - before.memory.integral) < STILL_SHARE
    )


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
