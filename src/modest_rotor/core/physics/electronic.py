"""Electronically commutated motors on a speed command: input power from shaft power, torque and speed."""

from __future__ import annotations

from modest_rotor.core.estimate import Array

STANDBY_W = 2.0
"""Electronics awake with the rotor still, W; small motors lie at 2 to 4. Our judgement, no source."""
COPPER_LOSS_SHARE = 0.130
"""Loss that grows with torque squared, at rated torque, as a share of rated power. Our judgement, no source."""
SPEED_LOSS_SHARE = 0.039
"""Loss that grows with speed to the power 1.3, at rated speed, as a share of rated power. Our judgement, no source."""
SPEED_LOSS_EXPONENT = 1.3


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
