"""Motors solved at the duty steps: where a motor runs on a load, with every number a column of scenarios."""

from __future__ import annotations

from collections.abc import Callable

import numpy as np
import numpy.typing as npt

from modest_rotor.core.estimate import Array
from modest_rotor.core.identify.candidate import Candidates
from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.physics.drive import Drive, output_voltage
from modest_rotor.core.physics.motor_point import MotorPoint
from modest_rotor.core.physics.operating_point import LEAST_SLIP, InductionMotor
from modest_rotor.core.physics.roots import crossing
from modest_rotor.core.physics.supply import Supply

FARTHEST_SLIP, SWITCHED_SLIP, TAP_SLIP = 0.35, 0.25, 0.6
"""Slips up to which a running point is sought: beyond lie pull-out, or the start switch. On a lower tap a fan is held steady
by its own steep torque far below that."""
HALVINGS, SECANTS = 4, 7
SECOND_GUESS = (0.1, 4.0)
"""Shares of the first guess between which the second lies."""
SETTLED, UNBALANCED = 1e-4, 1e-4
"""Relative step at which a search ends, leaving a hundredth of it or less, and the torque left over beyond which a point is none."""
RAD_PER_RPM = np.pi / 30


def stacked(family: Candidates, numbers: tuple[Array, ...]) -> InductionMotor:
    """The motors of scenarios, from one ``(scenarios, 1)`` column for each number; parameters of shape ``(scenarios, 1)``."""
    return family.motor(np.stack(np.broadcast_arrays(*numbers[: family.count]), axis=-1))


def run_on(
    family: Candidates,
    motor: InductionMotor,
    supply: Supply,
    torque_at: Callable[[Array], Array],
    shape: tuple[int, ...],
    near: MotorPoint | None = None,
    farthest: float = FARTHEST_SLIP,
) -> MotorPoint:
    """Where motors run on loads whose torque is known at every speed; NaN where a motor does not carry its load.

    :param torque_at: takes speed in rpm, shape ``(scenarios, steps)``, and returns the load's torque in N·m.
    :param shape: ``(scenarios, steps)``.
    :param near: the same motors on another load, where the search begins.
    :param farthest: slip beyond which no running point is sought.
    :param family: the motors' plate. :param motor: parameters of shape ``(scenarios, 1)``. :param supply: V and Hz.

    Source: the stable crossing of motor and load torque, textbook.
    """
    known = near is not None and not np.isnan(near.slip).any()
    seen: list[MotorPoint] = [near] if near and known else []

    def torques(slip: Array) -> tuple[Array, Array]:
        seen.append(motor.at_slip(supply, slip, seen.pop() if seen else None))
        return seen[0].torque_nm, torque_at(seen[0].speed_rpm)

    top = SWITCHED_SLIP if family.plate.kind is MotorKind.SINGLE_PHASE else farthest
    first = near.slip if near and known else family.plate.rated_slip or top / 4
    slip = _search(torques, first + np.zeros(shape), top)
    at = motor.at_slip(supply, slip, seen[0])
    return _masked(at, (slip < top) & _balanced(at.torque_nm, torque_at(at.speed_rpm)))


def driven_at(
    motor: InductionMotor, drive: Drive, speed_rpm: Array, torque_nm: Array, poles: int, shape: tuple[int, ...]
) -> tuple[MotorPoint, Array]:
    """A motor on a drive at a wanted speed and torque, and the hertz for it; NaN where its volts do not carry the load.

    :param speed_rpm: ``(scenarios, steps)``; NaN where none is known. :param torque_nm: the same.
    :param motor: parameters of shape ``(scenarios, 1)``. :param drive: its V by Hz. :param poles: of the motor. :param shape: ``(scenarios, steps)``.

    Source: the crossing of torques at a held volts-per-hertz law, textbook.
    """

    def supply(slip: Array) -> Supply:
        frequency = speed_rpm * poles / 120 / (1 - slip)
        return Supply(output_voltage(drive, frequency), frequency)

    seen: list[MotorPoint] = []

    def torques(slip: Array) -> tuple[Array, Array]:
        seen.append(motor.at_slip(supply(slip), slip, seen.pop() if seen else None))
        return seen[0].torque_nm, torque_nm

    # A scenario whose flow no speed gives is NaN on its way through, of which complex division alone speaks up.
    with np.errstate(invalid="ignore"):
        slip = _search(torques, 0.05 + np.zeros(shape), FARTHEST_SLIP)
        at = motor.at_slip(supply(slip), slip, seen[0])
    sound = (slip < FARTHEST_SLIP) & _balanced(at.torque_nm, torque_nm)
    return _masked(at, sound), speed_rpm * poles / 120 / (1 - slip)


def _search(torques: Callable[[Array], tuple[Array, Array]], start: Array, top: float) -> Array:
    """Slip at which a motor gives what its load takes: by secants, and where those fail inside a bracket.

    :param torques: what is given and what is taken at a slip, N·m.
    """

    def surplus(slip: Array) -> Array:
        given, taken = torques(_within(slip, top))
        return given - taken

    before = start
    given, taken = torques(start)
    f_before = given - taken
    # Torque goes nearly with slip, so the line through standstill of slip is the best second guess.
    now = _within(start * np.clip(taken / np.where(given > 0, given, taken), *SECOND_GUESS), top)
    f_now = surplus(now)
    settled = np.zeros(start.shape, bool)
    for _ in range(SECANTS):
        step = f_now - f_before
        trial = now - f_now * (now - before) / np.where(step == 0, 1.0, step)
        # What has settled stays: further steps would only follow the last digits' noise.
        trial = _within(np.where(settled | (step == 0), now, trial), top)
        before, f_before, now = now, f_now, trial
        settled = settled | ((np.abs(now - before) < SETTLED * now) & (now > LEAST_SLIP) & (now < top))
        if settled.all():
            return now
        f_now = surplus(now)
    low, high = np.full(start.shape, LEAST_SLIP), np.full(start.shape, top)
    for _ in range(HALVINGS):
        middle = np.sqrt(low * high)  # slips of interest span two decades
        over = surplus(middle) > 0
        low, high = np.where(over, low, middle), np.where(over, middle, high)
    return _within(crossing(surplus, low, high), top)


def _balanced(given: Array, taken: Array) -> npt.NDArray[np.bool_]:
    return np.asarray(np.abs(given - taken) < UNBALANCED * np.abs(given) + 1e-9)


def _within(slip: Array, top: float) -> Array:
    """A slip that a motor can be asked for; a search that has lost its bracket is told apart afterwards."""
    return np.clip(np.where(np.isnan(slip), top, slip), LEAST_SLIP / 4, top)


def _masked(at: MotorPoint, sound: npt.NDArray[np.bool_]) -> MotorPoint:
    def kept(value: Array) -> Array:
        return np.where(sound, value, np.nan)

    changed = {name: kept(value) for name, value in vars(at).items() if name != "losses_w"}
    return MotorPoint(**changed, losses_w={name: kept(value) for name, value in at.losses_w.items()})
