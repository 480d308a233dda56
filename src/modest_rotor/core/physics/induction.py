"""Induction motors seen from outside: synchronous speed, slip, torque, and input power from a two-term loss split."""

from __future__ import annotations

import math

import numpy as np

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import Array
from modest_rotor.core.say import Number, say

POLE_COUNTS = (2, 4, 6, 8, 10, 12, 14, 16)
LARGEST_ORDINARY_SLIP = 0.25
"""Full-load slip above which no ordinary induction motor lies (shaded-pole kinds reach 0.2). Common practice, no source."""


def synchronous_speed_rpm(frequency_hz: float, poles: int) -> float:
    """Speed of the stator field, n_s = 120 f / p, in rpm.

    :param frequency_hz: supply frequency in Hz, above zero.
    :param poles: number of poles (not pole pairs), even.
    :raises OutsideValidity: an odd or non-positive pole count, or a frequency not above zero.

    Source: definition; Fitzgerald, Kingsley and Umans, Electric Machinery, ch. 4.
    """
    if poles < 2 or poles % 2:
        raise OutsideValidity(say("induction-synchronous-speed-rpm-motor-even", poles=poles))
    if not frequency_hz > 0:
        raise OutsideValidity(say("induction-synchronous-speed-rpm-supply-frequency", frequency_hz=frequency_hz))
    return 120.0 * frequency_hz / poles


def poles_from_rated_speed(speed_rpm: float, frequency_hz: float) -> int:
    """Pole count whose synchronous speed is the nearest at or above a full-load speed.

    :param speed_rpm: rated (full-load) speed in rpm.
    :param frequency_hz: rated frequency in Hz.
    :raises OutsideValidity: when the speed is above the two-pole speed, or the slip to the nearest synchronous speed
        above it is larger than any ordinary motor has, or smaller than a plate's rounding.

    Validity: induction motors at rated load on their high tap. Source: slip definition with common practice for its range.
    """
    at_or_above = [poles for poles in POLE_COUNTS if synchronous_speed_rpm(frequency_hz, poles) >= speed_rpm]
    if not at_or_above:
        top = synchronous_speed_rpm(frequency_hz, 2)
        raise OutsideValidity(
            say(
                "induction-poles-from-rated-speed-rpm-above",
                speed_rpm=Number(speed_rpm, ",.0f"),
                top=Number(top, ",.0f"),
                frequency_hz=Number(frequency_hz, "g"),
            )
        )
    poles = at_or_above[-1]
    gap = slip(speed_rpm, synchronous_speed_rpm(frequency_hz, poles))
    if gap > LARGEST_ORDINARY_SLIP:
        raise OutsideValidity(
            say(
                "induction-poles-from-rated-speed-ordinary-pole",
                speed_rpm=Number(speed_rpm, ",.0f"),
                frequency_hz=Number(frequency_hz, "g"),
                gap=Number(100 * gap, ".0f"),
            )
        )
    if gap == 0:
        raise OutsideValidity(
            say(
                "induction-poles-from-rated-speed-rpm-synchronous",
                speed_rpm=Number(speed_rpm, ",.0f"),
                frequency_hz=Number(frequency_hz, "g"),
            )
        )
    return poles


def slip(speed_rpm: float, synchronous_rpm: float) -> float:
    """Slip s = (n_s − n) / n_s, as a fraction; negative above synchronous speed.

    :param speed_rpm: shaft speed in rpm.
    :param synchronous_rpm: synchronous speed in rpm.

    Source: definition; IEEE Std 100.
    """
    return (synchronous_rpm - speed_rpm) / synchronous_rpm


NUMBER_WORDS = {2: "two", 4: "four", 6: "six", 8: "eight", 10: "ten", 12: "twelve"}


def running_slip(speed_rpm: float, frequency_hz: float, poles: int) -> float:
    """Slip of a motor that is driven by its own field, 0 to 1.

    :param speed_rpm: rpm. :param frequency_hz: Hz. :param poles: poles, not pairs.
    :raises OutsideValidity: a speed above synchronous, with what it usually means; and as :func:`synchronous_speed_rpm`.

    Source: definition; what it means, common practice.
    """
    synchronous = synchronous_speed_rpm(frequency_hz, poles)
    if speed_rpm > synchronous:
        others = say("induction-running-slip-two-poles") if poles > 2 else ""
        raise OutsideValidity(
            say(
                "induction-running-slip-rpm-above",
                speed_rpm=Number(speed_rpm, ",.0f"),
                synchronous=Number(synchronous, ",.0f"),
                get=NUMBER_WORDS.get(poles, poles),
                frequency_hz=Number(frequency_hz, "g"),
                others=others,
            )
        )
    return slip(speed_rpm, synchronous)


def torque_nm(shaft_power_w: float, speed_rpm: float) -> float:
    """Shaft torque T = P / ω in N·m.

    :param shaft_power_w: shaft power in W.
    :param speed_rpm: speed in rpm, above zero.
    :raises OutsideValidity: at standstill, where power says nothing about torque.

    Source: definition.
    """
    if not speed_rpm > 0:
        raise OutsideValidity(say("induction-torque-nm"))
    return shaft_power_w / (speed_rpm * 2 * math.pi / 60)


def rated_losses_w(rated_power_w: float | Array, rated_efficiency: Array) -> Array:
    """Losses at rated load, P_N (1/η − 1), in W, from rated power in W and efficiency as a fraction. Source: definition."""
    return rated_power_w * (1 / rated_efficiency - 1)


def input_power_w(
    shaft_power_w: Array, rated_power_w: float | Array, rated_efficiency: Array, fixed_share: Array
) -> Array:
    """Input power from shaft power with losses L (f + (1 − f) x²), x the shaft power over rated power, in W.

    :param shaft_power_w: shaft power in W.
    :param rated_power_w: rated power P_N in W.
    :param rated_efficiency: efficiency at rated load, a fraction.
    :param fixed_share: f, share of the rated losses that does not depend on load (core, friction, magnetising copper).

    Validity: near rated volts and frequency, high tap, load 0 to 1.5 of rated. Source: the loss split of IEEE Std 112
    reduced to two terms; the share is our judgement.
    """
    loss = rated_losses_w(rated_power_w, rated_efficiency)
    return shaft_power_w + loss * (fixed_share + (1 - fixed_share) * (shaft_power_w / rated_power_w) ** 2)


def shaft_power_from_input_w(
    measured_input_w: Array, rated_power_w: float | Array, rated_efficiency: Array, fixed_share: Array
) -> Array:
    """Shaft power whose input by :func:`input_power_w` is the measured one; zero when the input covers only losses.

    The quadratic is solved for its root that grows with input. Arguments in W and fractions as there. Source: as there.
    """
    loss = rated_losses_w(rated_power_w, rated_efficiency)
    a = loss * (1 - fixed_share) / rated_power_w**2
    c = loss * fixed_share - measured_input_w
    # This form of the root stays finite where the losses do not depend on load at all (a = 0).
    root = -2 * c / (1 + np.sqrt(np.maximum(1 - 4 * a * c, 0)))
    return np.asarray(np.maximum(root, 0.0), float)


def speed_on_slip_line_rpm(load_torque_ratio: Array, rated_speed_rpm: Array, synchronous_rpm: float) -> Array:
    """Speed of a motor whose slip is in proportion to torque: n = n_s (1 − s_N T/T_N), in rpm.

    :param load_torque_ratio: T/T_N corrected to rated volts, T/T_N (V_N/V)².
    :param rated_speed_rpm: rated speed in rpm.
    :param synchronous_rpm: synchronous speed in rpm.

    Validity: below about 1.2 of rated torque, well under pull-out. Source: the small-slip limit of the equivalent
    circuit, Fitzgerald, Kingsley and Umans, ch. 6.
    """
    rated_slip = (synchronous_rpm - rated_speed_rpm) / synchronous_rpm
    return synchronous_rpm * (1 - rated_slip * load_torque_ratio)
