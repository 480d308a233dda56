"""A closed loop: a process that follows its command late, a proportional-integral controller on it, and how it is seen to hunt."""

from __future__ import annotations

import itertools
import math
from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np

from modest_rotor.core.coded import Coded
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import Array
from modest_rotor.core.say import say

NOTHING = 1e-9
LEAST_DEAD_S = 0.2
"""Dead time that every loop has: its controller looks some times a second. Our judgement, no source."""
LEAST_VALUES, END_SHARE, OUT_OF_NOISE = 10, 10, 4
"""Values from which a step is read, over which part its end is averaged (one in so many), and by how many standard deviations of
that end it must have moved. Our judgement, no source."""
LAG_OF_TIMES = 1.5
"""Lag over the time between those two shares (C. L. Smith, 1972)."""
EIGHT = 8.0
"""Integral time over dead time at the most (S. Skogestad, 2003)."""
ULTIMATE_GAIN_OVER, ULTIMATE_PERIODS = 3.2, 2.2
"""Gain and integral time after ultimate gain and period (B. D. Tyreus and W. L. Luyben, 1992)."""
SWING_OVER_NOISE = 3
HALF_SWINGS = 3
"""Half swings that make a hunting of a wandering. Our judgement, no source."""
NEWEST = 5
"""Half swings, the last ones, of which the decay is told."""
DIES_AWAY, GOES_ON = 0.35, 0.85
"""Swing over the one before it: under the first it is as lively as a good loop may be, from the second on it goes on for good.
A quarter is the decay that the oldest tuning rules aim at (Ziegler and Nichols, 1942)."""
START_SHARE, TWO_THIRDS = 0.283, 0.632
"""Shares of a step's whole move at which a first order is read: e^(-1/3) and e^(-1) short of it (C. L. Smith, 1972)."""


@dataclass(frozen=True)
class Process:
    """How a measured value follows its command.

    :param gain: move of the value, share of the sensor's range, for each share of full command; of one that integrates, in
        each second; positive where more speed raises it.
    :param dead_s: seconds in which nothing happens. :param lag_s: seconds in which it then goes two thirds of its way.
    :param integrates: whether it goes on moving as long as the command stands off (a level).
    """

    gain: float
    dead_s: float
    lag_s: float
    integrates: bool = False


@dataclass(frozen=True)
class Gains:
    """What is typed into a controller.

    :param gain: share of full command for each share of the sensor's range. :param integral_s: seconds in which a standing error
        moves the command as much again.
    """

    gain: float
    integral_s: float


def process_of_lags(gain: float, lags_s: Sequence[float], dead_s: float = 0.0) -> Process:
    """Several lags in a row as one of first order with dead time: of the second longest, half goes to each.

    :param gain: as of :class:`Process`. :param lags_s: each above 0 s. :param dead_s: true dead time, s.
    :raises OutsideValidity: no lag.

    Source: S. Skogestad, Simple analytic rules for model reduction and PID controller tuning, J. Process Control 13 (2003),
    the half rule.
    """
    first, *rest = sorted(lags_s, reverse=True) or [0.0]
    if first <= 0:
        raise OutsideValidity(say("physics-loop-process-of-lags"))
    second = rest[0] if rest else 0.0
    return Process(gain, max(dead_s + second / 2 + sum(rest[1:]), LEAST_DEAD_S), first + second / 2)


def process_of_step(moved: float, commanded: float, began_s: float, two_thirds_s: float) -> Process:
    """A process from one step of its command, as read by hand.

    :param moved: whole move of the value, share of the sensor's range. :param commanded: step of the command, share of full.
    :param began_s: seconds until it began to move. :param two_thirds_s: seconds from the step until it had gone 63 %.
    :raises OutsideValidity: no step, no move, or times that are in no order.

    Source: textbook process reaction curve.
    """
    if commanded == 0:
        raise OutsideValidity(say("physics-loop-process-of-step-command-did"))
    if moved == 0:
        raise OutsideValidity(say("physics-loop-process-of-step-nothing-moved"))
    if not 0 <= began_s < two_thirds_s:
        raise OutsideValidity(say("physics-loop-process-of-step-begins-move"))
    return Process(moved / commanded, max(began_s, LEAST_DEAD_S), two_thirds_s - began_s)


def times_of_step(times_s: Array, values: Array) -> tuple[float, float]:
    """When a value began to move after a step, and when it had gone 63 % of its way, s.

    :param times_s: from the step, shape (n,), rising. :param values: shape (n,), begun from rest; the last tenth is where it ends.
    :raises OutsideValidity: fewer than ten values, or no move that stands out of its noise.

    Lag 1.5 (t₆₃ − t₂₈), dead time t₆₃ less it. Source: C. L. Smith, Digital Computer Process Control (1972), two-point method.
    """
    if len(values) < LEAST_VALUES:
        raise OutsideValidity(say("physics-loop-times-of-step-step-read"))
    tail = max(HALF_SWINGS, len(values) // END_SHARE)
    start, end = float(values[0]), float(np.mean(values[-tail:]))
    noise = float(np.std(values[-tail:]))
    if abs(end - start) <= max(OUT_OF_NOISE * noise, NOTHING):
        raise OutsideValidity(say("physics-loop-times-of-step-nothing-moved"))
    gone = (values - start) / (end - start)
    t28, t63 = (_first_beyond(times_s, gone, share) for share in (START_SHARE, TWO_THIRDS))
    lag = LAG_OF_TIMES * (t63 - t28)
    return max(t63 - lag, 0.0), t63


def _first_beyond(times_s: Array, gone: Array, share: float) -> float:
    """When a share was first passed, straight between neighbours."""
    at = int(np.argmax(gone >= share))
    if at == 0:
        return float(times_s[0])
    before, after = float(gone[at - 1]), float(gone[at])
    within = (share - before) / (after - before) if after > before else 1.0
    return float(times_s[at - 1] + within * (times_s[at] - times_s[at - 1]))


def first_gains(process: Process) -> Gains:
    """Gains to begin with: K = τ ÷ (k · 2θ), T_i = min(τ, 8θ); of a level K = 1 ÷ (k′ · 2θ), T_i = 8θ.

    :returns: gain of the sign of the process.
    :raises OutsideValidity: a process without gain.

    Validity: first order with dead time, or integrating; robust (a doubled gain or dead time still settles). Source: S. Skogestad
    (2003), SIMC rules with closed-loop time equal to the dead time.
    """
    if process.gain == 0:
        raise OutsideValidity(say("physics-loop-first-gains"))
    dead = max(process.dead_s, LEAST_DEAD_S)
    if process.integrates:
        return Gains(1 / (process.gain * 2 * dead), EIGHT * dead)
    return Gains(process.lag_s / (process.gain * 2 * dead), min(process.lag_s, EIGHT * dead))


@dataclass(frozen=True)
class Memory:
    """What a controller remembers: the command that its integral part has come to, a share of full."""

    integral: float = 0.0


@dataclass(frozen=True)
class Controller:
    """A proportional-integral controller.

    :param gains: gain positive: the direction is told by ``raises``. :param raises: whether more speed raises the value; then the
        command goes up while the value lies under its set point.
    :param low: least command, a share of full. :param high: the most.
    """

    gains: Gains
    raises: bool = True
    low: float = 0.0
    high: float = 1.0

    def command(self, error: float, memory: Memory, seconds: float) -> tuple[float, Memory]:
        """The command and what is remembered.

        :param error: set point less value, share of the sensor's range. :param seconds: since it last looked.

        At an end the integral part goes no further (anti-windup). Source: textbook.
        """
        off = error if self.raises else -error
        pushed = self.gains.gain * off
        integral = memory.integral + pushed * seconds / self.gains.integral_s
        wanted = pushed + integral
        held = min(max(wanted, self.low), self.high)
        if wanted != held and (wanted > held) == (pushed > 0):
            integral = memory.integral
        return held, Memory(min(max(integral, self.low), self.high))


class Swing(Coded):
    """How a loop is seen to behave after it was pushed."""

    QUIET = "quiet"
    DIES_AWAY = "dies-away"
    LIVELY = "lively"
    HUNTS = "hunts"


@dataclass(frozen=True)
class Hunting:
    """What is seen of a loop. ``period_s``: of a whole swing, and ``size`` half of its height; none of one that is quiet."""

    swing: Swing
    period_s: float | None = None
    size: float = 0.0


def swing_of(decay: float) -> Swing:
    """How a swing that is so much of the one before it is called. Source: limits above."""
    return Swing.HUNTS if decay >= GOES_ON else Swing.LIVELY if decay > DIES_AWAY else Swing.DIES_AWAY


def hunting_of(times_s: Array, values: Array, noise: float) -> Hunting:
    """How a value swings, by its extremes between the crossings of its mean.

    :param times_s: shape (n,), rising. :param values: shape (n,). :param noise: what its reading scatters, in its unit; a swing
        less than three times as large is none.

    Source: definitions of period and decay.
    """
    off = values - np.mean(values[len(values) // 2 :])
    halves = np.flatnonzero(np.diff(np.signbit(off))) + 1
    peaks: list[tuple[float, float]] = []
    for first, last in itertools.pairwise(halves):
        at = first + int(np.argmax(np.abs(off[first:last])))
        if abs(off[at]) > SWING_OVER_NOISE * noise:
            peaks.append((float(times_s[at]), abs(float(off[at]))))
    if len(peaks) < HALF_SWINGS:
        return Hunting(Swing.QUIET)
    period = 2 * float(np.median(np.diff([time for time, _ in peaks])))
    sizes = np.array([size for _, size in peaks])
    # What the push itself made of the first swings says little of whether they go on.
    decay = float(np.exp(np.mean(np.diff(np.log(sizes[-NEWEST:]))))) ** 2
    return Hunting(swing_of(decay), period, float(np.mean(sizes[-2:])))


def calmer(gains: Gains, hunting: Hunting) -> Gains:
    """Gains after a loop was seen to hunt; as they are, where it does not.

    Swings that go on: the gain was at its ultimate or above, so K ÷ 3.2 and T_i = 2.2 periods. Swings that die away slowly:
    half the gain, and no faster an integral than a period. Source: B. D. Tyreus and W. L. Luyben, Tuning PI controllers for
    integrator/dead time processes, Ind. Eng. Chem. Res. 31 (1992); the half is common practice.
    """
    if hunting.period_s is None or hunting.swing in (Swing.QUIET, Swing.DIES_AWAY):
        return gains
    if hunting.swing is Swing.HUNTS:
        return Gains(gains.gain / ULTIMATE_GAIN_OVER, max(ULTIMATE_PERIODS * hunting.period_s, gains.integral_s))
    return replace(gains, gain=gains.gain / 2, integral_s=max(hunting.period_s, gains.integral_s))


def followed(value: float, goal: float, lag_s: float, seconds: float) -> float:
    """A value that goes to its goal through a lag of first order. Source: exact for a goal that stands."""
    return goal + (value - goal) * math.exp(-seconds / lag_s) if lag_s > 0 else goal
