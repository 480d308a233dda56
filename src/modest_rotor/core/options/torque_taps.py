"""An electronic motor with torque taps: each step runs on the tap whose flow lies nearest to what is asked."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import replace

import numpy as np

from modest_rotor.core.estimate import Array, Estimate, exactly
from modest_rotor.core.options.contract import (
    CURVE,
    Asked,
    Columns,
    Demand,
    How,
    Option,
    OptionKind,
    Saying,
    SolvedStep,
    curve_and_system,
    solve_steps,
)
from modest_rotor.core.options.electronic import HELD, electronic_columns
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.rating import Rating, electronic_rating
from modest_rotor.core.options.traits import ELECTRONICS_WEAR, Brings, Holds, SetBy, Traits, electronic_motor
from modest_rotor.core.outcome import Withheld
from modest_rotor.core.physics import electronic
from modest_rotor.core.physics.load import Load
from modest_rotor.core.physics.roots import crossing
from modest_rotor.core.say import Number, say
from modest_rotor.core.stations.product import CommandKind

USUAL_TAPS = 5
LOWEST_TAP = 0.45
"""Share of rated torque on the lowest of a motor's taps; they are spaced evenly up to all of it. Our judgement, no source."""
LEAST_SPEED, MOST_SPEED, HALVINGS = 0.08, 2.5, 6
"""Speeds over today's between which a tap's running point is sought, and halvings before the root finder."""
ENOUGH = 0.95
"""Share of a protected flow, or of the demand, from which on a tap counts as giving it: half the spacing of taps."""
NO_POINT = say("torque-taps-no-point")


class TorqueTaps(Option):
    """An electronic motor that holds a torque on each of its taps."""

    kind = OptionKind.TORQUE
    traits = Traits(
        say("torque-taps-traits"), "verdigris", electronics=True, commanded=True, electronic=True, brings=Brings.MOTOR,
        suits=electronic_motor("torque"), understands=(CommandKind.CALLS,), set_by=SetBy.TORQUE_TAPS, holds=Holds.TORQUE,
        limited=True, wears=ELECTRONICS_WEAR, steps=frozenset(("taps",)),
    )  # fmt: skip

    def solve(self, found: FoundMachine, demands: tuple[Demand, ...], asked: Asked) -> tuple[SolvedStep, ...]:
        """Every tap solved once on the system; then for each step the nearest one, or the next up where flow is protected."""
        rating = electronic_rating(found, asked.candidate)
        taps = solve_taps(found, rating, torques(asked))
        return tuple(_on_tap(demand, taps, found.flow) for demand in demands)


def torques(asked: Asked) -> tuple[float, ...]:
    """Shares of rated torque that the taps hold, the highest last.

    :param asked: whose product says how many taps it has. Fractions. Source: the product; else common practice.
    """
    product = asked.candidate.product
    count = product.torque_taps if product and product.torque_taps else USUAL_TAPS
    return tuple(float(share) for share in np.linspace(LOWEST_TAP, 1.0, count))


def solve_taps(found: FoundMachine, rating: Rating, shares: tuple[float, ...]) -> tuple[SolvedStep, ...]:
    """Where the motor runs on each tap; taps that find no point wait.

    :param found: the machine. :param rating: of the motor. :param shares: of rated torque. Source: crossing of a held torque with the load, textbook.
    """

    def work(*columns: Array) -> Columns:
        curve, (speed, *losses) = columns[:CURVE], columns[CURVE:]
        machine, system = curve_and_system(found, *curve)
        load = Load(machine, speed, system)
        held = rating.torque_scale * np.array(shares)

        def surplus(ratio: Array) -> Array:
            rpm = speed * ratio
            most = electronic.POWER_LIMIT_SHARE * rating.power_w / rpm
            return np.asarray(np.minimum(held, most) - load.at_motor_speed(rpm).motor_power_w / rpm)

        rpm = speed * _balance(surplus, np.zeros((speed.shape[0], len(shares))))
        point = load.at_motor_speed(rpm)
        sound = np.where(point.beyond | point.dead_headed, np.nan, 1.0)
        return electronic_columns(
            rating, point.flow * sound, point.pressure * sound, rpm, point.machine_power_w, *losses
        )

    names = tuple(say("torque-taps-solve-taps-tap", number=number) for number in range(1, len(shares) + 1))
    inputs = (*found.curve_inputs, found.speed, *rating.loss_inputs)
    solved = solve_steps(
        names, work, inputs, Saying(How.HELD_TORQUE, NO_POINT, "command", say("torque-taps-solve-taps-torque"))
    )
    return tuple(
        replace(step, setting=exactly(share), set_words=step.id)
        for step, share in zip(solved.values(), shares, strict=True)
    )


def _balance(surplus: Callable[[Array], Array], zero: Array) -> Array:
    low, high = LEAST_SPEED + zero, MOST_SPEED + zero
    for _ in range(HALVINGS):
        middle = (low + high) / 2
        over = surplus(middle) > 0
        low, high = np.where(over, middle, low), np.where(over, high, middle)
    return np.asarray(crossing(surplus, low, high))


def _on_tap(demand: Demand, taps: tuple[SolvedStep, ...], full: Estimate) -> SolvedStep:
    running = [tap for tap in taps if tap.flow is not None]
    if not running:
        return SolvedStep(demand.id, absent=Withheld(NO_POINT))
    wanted = demand.wanted * full.value
    shares = [tap.flow.value / full.value for tap in running if tap.flow]
    enough = [tap for tap in running if tap.flow and tap.flow.value >= demand.floor * full.value]
    if demand.floor and not enough:
        return replace(running[-1], id=demand.id).noted(say("torque-taps-on-tap-highest-tap"))
    choices = enough if demand.floor else running
    best = min(choices, key=lambda tap: abs((tap.flow.value if tap.flow else 0.0) - wanted))
    notes = [HELD] if demand.floor > demand.share else []
    assert best.flow is not None
    too_small = best.flow.value < ENOUGH * wanted and best is running[-1]
    if too_small:
        notes.append(say("torque-taps-on-tap-highest-tap-gives", shares=Number(100 * max(shares), ".0f")))
    return replace(best, id=demand.id, too_small=too_small).noted(*notes)
