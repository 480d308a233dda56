"""Where motor and load agree: every stable speed, the point there, and what is to be said of it."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, fields, is_dataclass, replace
from enum import IntEnum
from typing import Any, TypeVar

import numpy as np

from modest_rotor.core.estimate import Array
from modest_rotor.core.physics.fields import Real, choose
from modest_rotor.core.physics.load import Load, LoadPoint
from modest_rotor.core.physics.motor_point import MotorPoint
from modest_rotor.core.physics.roots import crossing
from modest_rotor.core.physics.supply import Supply
from modest_rotor.core.physics.three_phase import ThreePhaseMotor
from modest_rotor.core.physics.two_axis import SWITCH_SPEED_SHARE, Auxiliary, TwoAxisMotor
from modest_rotor.core.say import say

InductionMotor = TwoAxisMotor | ThreePhaseMotor
T = TypeVar("T")

LEAST_SLIP = 2e-4
SLIPS = np.concatenate((np.geomspace(LEAST_SLIP, 0.3, 22), np.linspace(0.36, 1.0, 10)))
"""Slips at which motor and load are compared: fine where motors run, even where they start."""
MARGIN = 0.03
"""Share of a bracket's width by which it is widened."""
CRAWL_RPM = 1.0
CURVES = ("shape",)
"""Fields that hold curves: the same for every element."""


class Condition(IntEnum):
    """What is to be said of a point, the gravest first where several hold."""

    RUNS = 0
    DEAD_HEADED = 1
    OUTSIDE_CURVE = 2
    LIMIT_REACHED = 3
    TWO_STABLE_SPEEDS = 4
    WILL_NOT_START = 5
    CANNOT_HOLD = 6
    STALLS = 7

    @property
    def words(self) -> str:
        """In a few words, for a reader."""
        return _WORDS[self]


_WORDS = {
    Condition.RUNS: say("operating-point-words-runs"),
    Condition.DEAD_HEADED: say("operating-point-words-turns-but"),
    Condition.OUTSIDE_CURVE: say("operating-point-words-outside-machine"),
    Condition.LIMIT_REACHED: say("operating-point-words-motor-s"),
    Condition.TWO_STABLE_SPEEDS: say("operating-point-words-two-stable"),
    Condition.WILL_NOT_START: say("operating-point-words-runs-once"),
    Condition.CANNOT_HOLD: say("operating-point-words-cannot-hold"),
    Condition.STALLS: say("operating-point-words-stalls-stable"),
}


@dataclass(frozen=True)
class OperatingPoint:
    """Motor and load at their common speed; numbers or arrays of one shape.

    :param condition: a :class:`Condition` as a number. Where the motor stalls, the point is standstill with its amps.
    :param slow_speed_rpm: the slowest stable speed, where there are two.
    """

    motor: MotorPoint
    load: LoadPoint
    condition: Real
    slow_speed_rpm: Real

    def overall_efficiency(self, running: int = 1) -> Real:
        """From the line to the air or water, a fraction: q p over the input of all ``running`` motors.

        Source: definition; AMCA 208 and ISO 9906 for what is counted.
        """
        return self.load.fluid_power_w / (running * self.motor.input_power_w)


@dataclass(frozen=True)
class Characteristic:
    """Torque of an induction motor over its whole speed range on one supply, worked out once for any number of loads.

    :param torque_nm: at each slip of ``slips``, which stand along a last axis.
    """

    motor: InductionMotor
    supply: Supply
    slips: Array
    speed_rpm: Array
    torque_nm: Array


def characteristic(motor: InductionMotor, supply: Supply) -> Characteristic:
    """The torque–speed characteristic of a motor on a supply; their arrays broadcast against each other.

    A motor with a start switch is followed down to its switch speed: below, its start winding takes over. Source: the
    equations of its kind.
    """
    motor, supply = _plain(motor), _plain(supply)
    slips = SLIPS if _starts_by_itself(motor) else SLIPS[SLIPS <= 1 - SWITCH_SPEED_SHARE]
    at = _with_axis(motor).at_slip(_with_axis(supply), slips)
    # At standstill the load is asked for its torque at a crawl.
    return Characteristic(motor, supply, slips, np.maximum(at.speed_rpm, CRAWL_RPM), at.torque_nm)


def settle(motor: InductionMotor, supply: Supply, load: Load) -> OperatingPoint:
    """The operating point of an induction motor on its load: :func:`settle_on` of its characteristic, with its source."""
    return settle_on(characteristic(motor, supply), load)


def settle_on(known: Characteristic, load: Load) -> OperatingPoint:
    """The operating point of an induction motor on its load.

    :param known: the motor's characteristic; its motors may be arrays.
    :param load: what it turns. All arrays broadcast against each other.

    Motor torque less load torque is followed over the whole speed range. Going up from standstill it falls through zero at
    stable speeds and rises through zero at unstable ones; the fastest stable one is given. Validity: steady running.
    Source: textbook stability of drives, for example Fitzgerald, Kingsley and Umans, Electric Machinery, ch. 6.
    """
    motor, supply, load, slips = known.motor, known.supply, _plain(load), known.slips
    surplus = known.torque_nm - _with_axis(load).torque_at(known.speed_rpm, rounds=1)
    # Slips grow, so speed falls, along the last axis: a stable point turns the surplus from minus to plus.
    stable = (surplus[..., :-1] < 0) & (surplus[..., 1:] >= 0)
    runs: Real = stable.any(axis=-1)
    first = np.where(runs, np.argmax(stable, axis=-1), len(slips) - 2)
    bracket: tuple[Real, ...] = (
        slips[first],
        slips[first + 1],
        *(np.take_along_axis(surplus, (first + step)[..., np.newaxis], -1)[..., 0] for step in (0, 1)),
    )
    if not first.ndim:
        bracket, runs = tuple(float(end) for end in bracket), bool(runs)
    guess = _bent(slips, surplus, first, bracket) if np.all(runs) else None
    low, high, *ends = _with_margin(bracket, slips)
    # Where nothing runs there is no bracket: the search is kept at standstill there.
    seen: list[MotorPoint] = []  # each point is where the next one's saturation begins

    def left_over(s: Real) -> Real:
        seen.append(motor.at_slip(supply, choose(runs, s, float(slips[-1])), seen.pop() if seen else None))
        rpm = seen[0].speed_rpm
        return seen[0].torque_nm - load.torque_at(choose(rpm < CRAWL_RPM, CRAWL_RPM, rpm))

    slip = crossing(left_over, low, high, ends=(ends[0], ends[1]), guess=guess)
    slip = choose(runs, choose(slip < LEAST_SLIP, LEAST_SLIP, slip), float(slips[-1]))
    at = motor.at_slip(supply, slip)
    turning = load.at_motor_speed(choose(runs, at.speed_rpm, CRAWL_RPM))
    last = stable.shape[-1] - 1 - np.argmax(stable[..., ::-1], axis=-1)
    two = stable.sum(axis=-1) > 1
    slow = choose(two, motor.synchronous_rpm(supply) * (1 - slips[last]), at.speed_rpm)
    condition = _condition(runs, two, surplus[..., -1] > 0, turning)
    return OperatingPoint(at, turning if np.all(runs) else _at_rest(turning, runs), condition, slow)


def _with_margin(bracket: tuple[Real, ...], slips: Array) -> tuple[Real, Real, Real, Real]:
    """The bracket a little wider, and the surplus at its ends by a straight line: found roughly, it may miss by a hair."""
    low, high, f_low, f_high = bracket
    margin, rise = MARGIN * (high - low), MARGIN * (f_high - f_low)
    upper = high + margin
    top = float(slips[-1])
    return low - margin, choose(upper < top, upper, top), f_low - rise, f_high + rise


def _bent(slips: Array, surplus: Array, first: Any, bracket: tuple[Real, ...]) -> Real:
    """Where the surplus crosses zero by a parabola through the bracket and the point below it; the middle where that fails."""
    low, high, f_low, f_high = bracket
    below = np.maximum(first - 1, 0)
    s0, f0 = slips[below], np.take_along_axis(surplus, below[..., np.newaxis], -1)[..., 0]
    d1, d2, d3 = f0 - f_low, f0 - f_high, f_low - f_high
    with np.errstate(divide="ignore", invalid="ignore"):
        at = s0 * f_low * f_high / (d1 * d2) - low * f0 * f_high / (d1 * d3) + high * f0 * f_low / (d2 * d3)
    guess = np.where((at > low) & (at < high), at, (low + high) / 2)
    return guess if guess.ndim else float(guess)


def _starts_by_itself(motor: InductionMotor) -> bool:
    return not (isinstance(motor, TwoAxisMotor) and motor.auxiliary is Auxiliary.SWITCHED_OFF)


def _condition(runs: Real, two: Real, starts: Real, load: LoadPoint) -> Real:
    condition: Real = int(Condition.RUNS)
    for holds, code in (
        (load.dead_headed, Condition.DEAD_HEADED),
        (load.beyond, Condition.OUTSIDE_CURVE),
        (two, Condition.TWO_STABLE_SPEEDS),
        (~np.asarray(starts), Condition.WILL_NOT_START),
        (~np.asarray(runs), Condition.STALLS),
    ):
        condition = np.where(holds, int(code), condition)
    return condition


def _at_rest(load: LoadPoint, runs: Real) -> LoadPoint:
    """The load with everything at nought where the motor does not run."""
    still = {
        name: choose(runs, getattr(load, name), 0.0)
        for name in ("flow", "machine_rpm", "machine_power_w", "motor_power_w")
    }
    fixed = load.pressure - load.pressure
    return replace(
        load, **still, pressure=choose(runs, load.pressure, fixed), dead_headed=load.dead_headed | ~np.asarray(runs)
    )


def _plain(thing: T) -> T:
    """The same dataclass with arrays of no axis turned into plain numbers, which Python reckons quickest."""
    return changed(thing, lambda value: value.item() if value.ndim == 0 else value)


def _with_axis(thing: T) -> T:
    """The same dataclass with one more axis at the end of every array in it."""
    return changed(thing, lambda value: value[..., np.newaxis] if value.ndim else value)


def changed(thing: T, change: Callable[[Any], Any]) -> T:
    """The same dataclass, and those inside it, with a change made to every array of theirs; curves are left alone.

    Source: none; a tool for shapes.
    """
    new: dict[str, Any] = {}
    for item in fields(thing):  # type: ignore[arg-type]
        value = before = getattr(thing, item.name)
        if isinstance(value, (float, int)) and not isinstance(value, np.generic):
            continue
        if isinstance(value, (np.ndarray, np.generic)):
            value = change(value)
        elif is_dataclass(value) and item.name not in CURVES:
            value = changed(value, change)
        if value is not before:
            new[item.name] = value
    return replace(thing, **new) if new else thing  # type: ignore[type-var]
