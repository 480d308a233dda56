"""The load of an electronic motor, which only true watts and speed tell: never amps, never slip."""

from __future__ import annotations

import numpy as np

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import Array, measured, propagate
from modest_rotor.core.identify.load import LoadByMethod, Method, Running
from modest_rotor.core.identify.motor import PlateFacts
from modest_rotor.core.physics.electronic import SPREAD_AT_RATING, SPREAD_BELOW_RATING, rated_losses
from modest_rotor.core.say import Number, say

SCATTER = measured(0.0, **{"losses of this electronic motor": SPREAD_AT_RATING})
"""Logarithm by which its losses at rating stray from the typical ones."""
PRINTED_SCATTER = measured(0.0, **{"losses of this electronic motor": 0.08})
"""The same where its plate prints an efficiency. Our judgement, no source; IEC 60034-1 allows losses 15 % over the print."""
BELOW = measured(0.0, **{"losses of this electronic motor below rating": SPREAD_BELOW_RATING})
"""Logarithm by which they stray far below rated torque."""
REASON = say("electronic-load-reason")
MOST_LOAD = 3.0
ROUNDS = 24
LEAST_SHARE = 1e-4
"""Share of the watts under which nothing is left for the shaft."""


def electronic_load(running: Running, plate: PlateFacts) -> LoadByMethod:
    """Shaft power P whose input P + L(P, n) is the watts read, L the losses of ``physics.electronic``.

    :param running: needs watts and speed. :param plate: needs rated power and speed; a printed efficiency narrows it.
    :raises OutsideValidity: the watts would not cover the losses.

    Validity: true watts on the line side, warm motor. Source: ``physics.electronic.RatedLosses``.
    """
    needed = (
        (say("term-true-watts"), running.input_power),
        (say("term-speed"), running.speed),
        (say("term-rated-power"), plate.rated_power_w),
        (say("term-rated-speed"), plate.rated_speed_rpm),
    )
    missing = tuple(name for name, value in needed if value is None)
    if missing:
        return LoadByMethod(Method.WATTS, None, None, None, None, False, say("term-not-worked-out"), missing)
    assert running.input_power and running.speed and plate.rated_power_w and plate.rated_speed_rpm
    rated, rated_rpm = plate.rated_power_w, plate.rated_speed_rpm
    losses = rated_losses(rated, plate.printed_efficiency, plate.supply_phases)

    def shaft(watts: Array, rpm: Array, scatter: Array, below: Array) -> Array:
        """By halving: what is taken grows with shaft power all the way."""
        speed = rpm / rated_rpm
        low, high = 0 * watts, watts
        for _ in range(ROUNDS):
            middle = (low + high) / 2
            torque = middle / (rated * speed)
            over = middle + losses.at(torque, speed, np.exp(scatter), below) > watts
            low, high = np.where(over, low, middle), np.where(over, middle, high)
        return np.asarray((low + high) / 2)

    if running.speed.value <= 0:
        raise OutsideValidity(say("electronic-load-motor-stands"))
    scatter = PRINTED_SCATTER if plate.printed_efficiency else SCATTER
    (power,) = propagate(shaft, running.input_power, running.speed, scatter, BELOW)
    if power.value <= LEAST_SHARE * running.input_power.value:
        raise OutsideValidity(say("electronic-load-watts-read"))
    load, uncertainty = power.value / rated, power.uncertainty / rated
    if load > MOST_LOAD:
        raise OutsideValidity(say("electronic-load-watts-read-would", load=Number(100 * load, ".0f")))
    return LoadByMethod(Method.WATTS, load, power, max(load - uncertainty, 0.0), load + uncertainty, True, REASON)
