"""The balancing loop: the next setting from the machine's curve, corrected by what was just measured."""

from __future__ import annotations

import math
from collections.abc import Callable
from dataclasses import dataclass

from modest_rotor.core.coded import Coded
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.say import Number, say

HALVINGS = 48
LEAST_STEP = 0.02
"""Logarithm of the ratio of two commands below which their slope is mostly meter noise. Our judgement, no source."""
SLOPES = (0.4, 3.0)
"""Exponents of flow against command between which a measured slope is believed. Our judgement, no source."""
LEAP = 1.5
"""Ratio of two commands beyond which one reading is not trusted to tell where to go. Our judgement, no source."""
NUDGE = 1.02
"""Share by which a setting is moved where the curve itself proposes none that is new. Our judgement, no source."""

Curve = Callable[[float], float]


@dataclass(frozen=True)
class Tried:
    """A setting, and the flow measured on it (m³/s, or relative)."""

    command: float
    flow: float


class Outcome(Coded):
    """What is to be done next."""

    BEGIN = "begin"
    AGAIN = "again"
    INSIDE = "inside"
    CANNOT = "cannot"


@dataclass(frozen=True)
class Advice:
    """The next setting, or why there is none; ``proved`` where the uncertainty of the flow lies inside the tolerance too."""

    outcome: Outcome
    command: float | None = None
    reason: str = ""
    proved: bool = False


def advise(
    curve: Curve,
    tried: tuple[Tried, ...],
    target: float,
    low: float,
    high: float,
    tolerance: float,
    uncertainty: float = 0.0,
) -> Advice:
    """The next setting on the way to a flow.

    :param curve: flow at a command by the solved machine; it grows with the command.
    :param tried: settings tried so far, in order; the last decides whether the flow is inside.
    :param target: the flow wanted. :param low: least command. :param high: highest command.
    :param tolerance: share of the target within which a flow is right. :param uncertainty: of the last flow, ± at 95 %.
    :raises OutsideValidity: a target or tolerance not above zero, or limits that hold nothing.

    With one reading the whole curve is moved by the ratio of measured to expected; with two or more its steepness as well, by
    the two that lie nearest to the target: against a fixed pressure where flow falls faster than the command (q² = a c² − b),
    else as a power. Source: our own method, no source; the curve itself is fan and system by the affinity laws.
    """
    if not (target > 0 and tolerance > 0 and 0 < low < high):
        raise OutsideValidity(say("balancing-advise-balancing-loop"))
    sound = tuple(one for one in tried if one.flow >= 0 and one.command > 0)
    if sound:
        error = abs(sound[-1].flow / target - 1)
        if error <= tolerance:
            return Advice(Outcome.INSIDE, sound[-1].command, proved=error + uncertainty / target <= tolerance)
        stuck = _stuck(sound, target, low, high, tolerance)
        if stuck:
            return stuck
    corrected = _corrected(curve, sound, target, high)
    command = _solve(corrected, target, low, high)
    if len(sound) == 1:  # one reading tells no steepness: a far leap would overshoot
        command = _held_back(command, sound[0].command)
    ends = corrected(low), corrected(high)
    if ends[1] < target * (1 - tolerance) and _at(sound, high):
        return Advice(
            Outcome.CANNOT, reason=say("balancing-advise-highest-setting", target=Number(100 * ends[1] / target, ".0f"))
        )
    if ends[0] > target * (1 + tolerance) and _at(sound, low):
        return Advice(
            Outcome.CANNOT, reason=say("balancing-advise-lowest-setting", target=Number(100 * ends[0] / target, ".0f"))
        )
    return Advice(Outcome.AGAIN if sound else Outcome.BEGIN, _unlike(command, sound, target, low, high))


def advise_tap(
    flows: tuple[float, ...], tried: tuple[tuple[int, float], ...], target: float, tolerance: float
) -> tuple[Outcome, int]:
    """The tap whose flow lies nearest to the target, and whether it has been read.

    :param flows: flow on each tap by the solved machine, the lowest first. :param tried: taps tried, from nought, each with its flow.
    :returns: the outcome and a tap, counted from nought. Taps are steps: the nearest counts as right even outside the tolerance.

    Source: as :func:`advise`.
    """
    measured = dict(tried)
    ratio = (
        math.exp(sum(math.log(flow / flows[tap]) for tap, flow in measured.items()) / len(measured))
        if measured
        else 1.0
    )
    told = [measured.get(tap, flow * ratio) for tap, flow in enumerate(flows)]
    best = min(range(len(told)), key=lambda tap: abs(told[tap] - target))
    if best not in measured:
        return Outcome.AGAIN if measured else Outcome.BEGIN, best
    return (Outcome.INSIDE if abs(measured[best] / target - 1) <= tolerance else Outcome.CANNOT), best


def _corrected(curve: Curve, tried: tuple[Tried, ...], target: float, high: float) -> Curve:
    """The curve through what was measured."""
    flowing = sorted((one for one in tried if one.flow > 0), key=lambda one: abs(math.log(one.flow / target)))
    still = max((one.command for one in tried if one.flow <= 0), default=0.0)
    if not flowing:
        return curve if not still else _against_fixed(Tried(still, 0.0), Tried(high, max(curve(high), target)))
    first = flowing[0]
    other = next((one for one in flowing[1:] if abs(math.log(one.command / first.command)) > LEAST_STEP), None)
    if other is None and still:
        other = Tried(still, 0.0)
    if other is None:
        ratio = first.flow / max(curve(first.command), 1e-12)
        return lambda command: ratio * curve(command)
    if _is_against_fixed(first, other):
        return _against_fixed(first, other)
    slope = math.log(other.flow / first.flow) / math.log(other.command / first.command)
    slope = min(max(slope, SLOPES[0]), SLOPES[1])
    return lambda command: first.flow * (command / first.command) ** slope


def _is_against_fixed(one: Tried, other: Tried) -> bool:
    """Whether two readings tell of a pressure that stays at no flow: flow then falls faster than the command."""
    low, high = sorted((one, other), key=lambda tried: tried.command)
    return high.flow > low.flow and low.flow / high.flow <= low.command / high.command


def _against_fixed(one: Tried, other: Tried) -> Curve:
    """Flow against a fixed pressure through two readings: q² = a c² − b, fan and system both square laws."""
    a = (one.flow**2 - other.flow**2) / (one.command**2 - other.command**2)
    b = a * one.command**2 - one.flow**2
    return lambda command: math.sqrt(max(a * command**2 - b, 0.0))


def _stuck(tried: tuple[Tried, ...], target: float, low: float, high: float, tolerance: float) -> Advice | None:
    """Whether an end of the range was measured and does not reach the target."""
    for one in tried:
        share = say("balancing-stuck-what-wanted", target=Number(100 * one.flow / target, ".0f"))
        if one.command >= high * (1 - 1e-6) and one.flow < target * (1 - tolerance):
            return Advice(Outcome.CANNOT, reason=say("balancing-stuck-highest-setting", share=share))
        if one.command <= low * (1 + 1e-6) and one.flow > target * (1 + tolerance):
            return Advice(Outcome.CANNOT, reason=say("balancing-stuck-lowest-setting", share=share))
    return None


def _at(tried: tuple[Tried, ...], command: float) -> bool:
    return any(abs(one.command / command - 1) < 1e-6 for one in tried)


def _solve(curve: Curve, target: float, low: float, high: float) -> float:
    """The command at which a growing curve gives the target, or the nearer end."""
    if curve(low) >= target:
        return low
    if curve(high) <= target:
        return high
    for _ in range(HALVINGS):
        middle = (low + high) / 2
        low, high = (middle, high) if curve(middle) < target else (low, middle)
    return (low + high) / 2


def _held_back(command: float, last: float) -> float:
    """A setting not farther from the last one than a leap; farther ones are halved in the logarithm."""
    return command if 1 / LEAP <= command / last <= LEAP else math.sqrt(command * last)


def _unlike(command: float, tried: tuple[Tried, ...], target: float, low: float, high: float) -> float:
    """A setting that was not tried yet: what was measured there was outside already."""
    last = tried[-1] if tried else None
    if last is None or abs(command / last.command - 1) > 1e-3:
        return command
    return min(max(last.command * (NUDGE if last.flow < target else 1 / NUDGE), low), high)
