"""Which pole counts a measured speed allows, and how sure that is."""

from __future__ import annotations

import math
from dataclasses import dataclass

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.physics.induction import POLE_COUNTS, slip, synchronous_speed_rpm
from modest_rotor.core.say import Number, say

SURE_SHARE = 0.85
"""Share of the likelihood above which a pole count is told without asking for another reading. Our judgement, no source."""
LEAST_SHARE = 0.02
LIGHT_SLIP = 0.006
"""Typical slip of a lightly loaded motor."""
FULL_SLIP, FULL_SPREAD = 0.06, 0.55
LOW_TAP_SLIP, LOW_TAP_SPREAD, LOW_TAP_SHARE = 0.25, 0.45, 0.3
"""Slips of loaded motors on their full and on lower taps: middle and standard deviation of the logarithm, and how often a
speed of unknown tap was read on a lower one. Our judgement, no source."""
READING_SLIP = 0.001


@dataclass(frozen=True)
class PoleCount:
    """A pole count that is possible, with the slip it would mean and its share of the likelihood, 0 to 1."""

    poles: int
    slip: float
    share: float


def possible_poles(speed_rpm: float, frequency_hz: float, lightly_loaded: bool) -> tuple[PoleCount, ...]:
    """The pole counts that a measured speed allows, the likeliest first.

    :param speed_rpm: measured, rpm. :param frequency_hz: of the supply, Hz.
    :param lightly_loaded: whether the shaft was bare or nearly so; a loaded lower tap can look like another pole count.
    :raises OutsideValidity: above the highest synchronous speed, or standing still: no induction motor on that supply.

    No count is favoured beforehand. Validity: induction motors straight on the line. Source: definition of slip with usual
    slips, our judgement.
    """
    if speed_rpm <= 0:
        raise OutsideValidity(say("poles-possible-poles-pole-count"))
    top = synchronous_speed_rpm(frequency_hz, 2)
    if speed_rpm >= top:
        raise OutsideValidity(
            say(
                "poles-possible-poles-rpm-below",
                speed_rpm=Number(speed_rpm, ",.0f"),
                top=Number(top, ",.0f"),
                frequency_hz=Number(frequency_hz, "g"),
            )
        )
    weights = {}
    for poles in POLE_COUNTS:
        here = slip(speed_rpm, synchronous_speed_rpm(frequency_hz, poles))
        if here > -READING_SLIP:
            weights[poles] = (max(here, READING_SLIP), _likelihood(max(here, READING_SLIP), lightly_loaded))
    total = sum(weight for _, weight in weights.values())
    if not total > 0:
        raise OutsideValidity(
            say(
                "poles-possible-poles-pole-count-explains",
                speed_rpm=Number(speed_rpm, ",.0f"),
                frequency_hz=Number(frequency_hz, "g"),
            )
        )
    found = [PoleCount(poles, at, weight / total) for poles, (at, weight) in weights.items()]
    return tuple(sorted((one for one in found if one.share >= LEAST_SHARE), key=lambda one: -one.share))


def _likelihood(at: float, lightly_loaded: bool) -> float:
    if lightly_loaded:
        return math.exp(-at / LIGHT_SLIP)
    full = _bell(at, FULL_SLIP, FULL_SPREAD)
    return (1 - LOW_TAP_SHARE) * full + LOW_TAP_SHARE * _bell(at, LOW_TAP_SLIP, LOW_TAP_SPREAD)


def _bell(at: float, middle: float, spread: float) -> float:
    """Chance density of a logarithmically normal slip, in the logarithm."""
    return math.exp(-((math.log(at / middle) / spread) ** 2) / 2) / spread
