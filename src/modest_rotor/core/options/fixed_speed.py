"""A small electronic motor of one speed, in place of a shaded-pole motor or another small one."""

from __future__ import annotations

import numpy as np

from modest_rotor.core.estimate import Array
from modest_rotor.core.options.contract import (
    CURVE,
    NEAR_FULL,
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
from modest_rotor.core.options.electronic import electronic_columns
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.rating import electronic_rating
from modest_rotor.core.options.traits import ELECTRONICS_WEAR, Brings, Holds, SetBy, Traits, electronic_motor
from modest_rotor.core.physics.load import Load
from modest_rotor.core.say import say
from modest_rotor.core.stations.duty import PartFlow
from modest_rotor.core.stations.product import CommandKind


class OneSpeed(Option):
    """An electronic motor that runs at its one speed whenever it has its supply."""

    kind = OptionKind.ONE_SPEED
    traits = Traits(
        say("fixed-speed-one-speed-traits"), "verdigris", electronics=True, electronic=True, line_switched=True, brings=Brings.MOTOR,
        suits=electronic_motor(command=CommandKind.SWITCHED_LINE), set_by=SetBy.OWN_SPEED, holds=Holds.SPEED, limited=True,
        wears=ELECTRONICS_WEAR,
    )  # fmt: skip

    def solve(self, found: FoundMachine, demands: tuple[Demand, ...], asked: Asked) -> tuple[SolvedStep, ...]:
        """The flow that its speed gives; a part step throttled where dampers do that today, and else at full flow."""
        rating = electronic_rating(found, asked.candidate)
        throttled = asked.part_flow is PartFlow.THROTTLE
        shares = np.array([demand.share if throttled else 1.0 for demand in demands])

        def work(*columns: Array) -> Columns:
            curve, (speed, *losses) = columns[:CURVE], columns[CURVE:]
            machine, system = curve_and_system(found, *curve)
            rpm = rating.speed_rpm + 0 * speed
            point = Load(machine, speed, system).at_motor_speed(rpm)
            part = np.where(point.beyond, np.nan, point.flow) * shares
            ratio = rpm / speed
            shaft, pressure = machine.power_at(part, ratio), machine.pressure_at(part, ratio)
            return electronic_columns(rating, part, pressure, rpm + 0 * part, shaft, *losses)

        inputs = (*found.curve_inputs, found.speed, *rating.loss_inputs)
        outside = say("fixed-speed-solve-one-speed")
        solved = solve_steps(tuple(demand.id for demand in demands), work, inputs, Saying(How.FIXED_SPEED, outside))
        full = say("term-runs-full-all-the-same")
        return tuple(
            solved[demand.id].noted(full) if demand.share < NEAR_FULL and not throttled else solved[demand.id]
            for demand in demands
        )
