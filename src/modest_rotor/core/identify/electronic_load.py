"""The load of an electronic motor, which only true watts and speed tell: never amps, never slip."""

from __future__ import annotations

import numpy as np

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import Array, measured, propagate
from modest_rotor.core.identify.load import LoadByMethod, Method, Running
from modest_rotor.core.identify.motor import PlateFacts
from modest_rotor.core.physics.electronic import (
    COPPER_LOSS_SHARE,
    SPEED_LOSS_EXPONENT,
    SPEED_LOSS_SHARE,
    STANDBY_W,
)

SCATTER = measured(1.0, **{"losses of electronic motors": 0.25})
"""How far the losses of real electronic motors scatter about the typical formula. Our judgement, no source."""
REASON = "True watts less the typical losses of an electronic motor at that speed; amps and slip say nothing of it."
MOST_LOAD = 3.0


def electronic_load(running: Running, plate: PlateFacts) -> LoadByMethod:
    """Shaft power P whose input P + m (P_0 + k_c P_N (T/T_N)² + k_i P_N (n/n_N)^1.3) is the watts read.

    :param running: needs watts and speed. :param plate: needs rated power and speed.
    :raises OutsideValidity: the watts would not cover the losses.

    Validity: true watts on the line side, warm motor. Source: the losses of ``physics.electronic``, our judgement, no source.
    """
    needed = (
        ("true watts", running.input_power),
        ("speed", running.speed),
        ("rated power", plate.rated_power_w),
        ("rated speed", plate.rated_speed_rpm),
    )
    missing = tuple(name for name, value in needed if value is None)
    if missing:
        return LoadByMethod(Method.WATTS, None, None, None, None, False, "not worked out", missing)
    assert running.input_power and running.speed and plate.rated_power_w and plate.rated_speed_rpm
    rated, rated_rpm = plate.rated_power_w, plate.rated_speed_rpm

    def shaft(watts: Array, rpm: Array, scatter: Array) -> Array:
        """The positive root of a quadratic: the copper loss goes as power over speed, squared."""
        speed = rpm / rated_rpm
        fixed = scatter * (STANDBY_W + SPEED_LOSS_SHARE * rated * speed**SPEED_LOSS_EXPONENT)
        curve = scatter * COPPER_LOSS_SHARE / (rated * speed**2)
        left = watts - fixed
        return np.asarray(2 * left / (1 + np.sqrt(1 + 4 * curve * np.maximum(left, 0.0))))

    if running.speed.value <= 0:
        raise OutsideValidity("A motor that stands still gives no power; its watts are those of its electronics.")
    (power,) = propagate(shaft, running.input_power, running.speed, SCATTER)
    if power.value <= 0:
        raise OutsideValidity("the watts read would not cover the losses of an electronic motor at that speed")
    load, band = power.value / rated, power.band / rated
    if load > MOST_LOAD:
        raise OutsideValidity(f"the watts read would be {100 * load:.0f} % of the plate's power: look at both again")
    return LoadByMethod(Method.WATTS, load, power, max(load - band, 0.0), load + band, True, REASON)
