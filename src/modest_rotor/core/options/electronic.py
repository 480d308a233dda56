"""Electronic motors that are told a speed or an airflow, and give at each step the flow asked for."""

from __future__ import annotations

from dataclasses import replace

import numpy as np

from modest_rotor.core.estimate import Array, Estimate, measured
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
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.rating import Rating, electronic_rating
from modest_rotor.core.options.traits import ELECTRONICS_WEAR, Belongs, Brings, Holds, SetBy, Traits, electronic_motor
from modest_rotor.core.physics.load import speed_ratio_for_flow
from modest_rotor.core.say import Number, say
from modest_rotor.core.stations.product import CommandKind

TORQUE_LIMIT = 1.0
"""Torque over rated torque at which an electronic motor holds its limit and no longer its speed."""
STANDBY_SPREAD = 0.35
"""Standard deviation of standby watts, as a share. Our judgement, no source."""
HELD = say("options-electronic-held")
NO_SPEED = say("term-no-speed-gives-this-flow")
SIGNAL = Saying(How.COMMANDED, NO_SPEED, "command", "speed")
FLOW = Saying(How.COMMANDED, NO_SPEED, "", say("options-electronic-flow"))


BY_SPEED = Traits(
    say("options-electronic-by-speed"), "verdigris", electronics=True, commanded=True, electronic=True, brings=Brings.MOTOR,
    suits=electronic_motor("speed"), understands=(CommandKind.SIGNAL, CommandKind.DIAL), set_by=SetBy.SIGNAL, holds=Holds.SPEED,
    limited=True, wears=ELECTRONICS_WEAR,
)  # fmt: skip


class Electronic(Option):
    """An electronic motor that is told a speed, by a signal or a dial."""

    kind = OptionKind.ELECTRONIC
    traits = BY_SPEED
    saying = SIGNAL

    def solve(self, found: FoundMachine, demands: tuple[Demand, ...], asked: Asked) -> tuple[SolvedStep, ...]:
        """The speed that gives each step its flow, and the watts for it; never below a protected flow."""
        rating = electronic_rating(found, asked.candidate)
        shares = np.array([demand.wanted for demand in demands])

        def work(*columns: Array) -> Columns:
            curve, (speed, *losses) = columns[:CURVE], columns[CURVE:]
            machine, system = curve_and_system(found, *curve)
            part = curve[0] * shares
            ratio = speed_ratio_for_flow(machine, system, part)
            shaft = machine.power_at(part, ratio)
            return electronic_columns(rating, part, system.pressure_at(part), speed * ratio, shaft, *losses)

        inputs = (*found.curve_inputs, found.speed, *rating.loss_inputs)
        solved = solve_steps(tuple(demand.id for demand in demands), work, inputs, self.saying)
        return tuple(noted(solved[demand.id], demand, rating) for demand in demands)


class AirflowHeld(Electronic):
    """An electronic motor that holds an airflow: its speed follows filter and dampers by itself."""

    kind = OptionKind.AIRFLOW
    traits = replace(
        BY_SPEED, title=say("electronic-airflow-title"), series="verdigris-open", belongs=Belongs.FANS, suits=electronic_motor("airflow"),
        understands=(CommandKind.CALLS, CommandKind.SIGNAL), set_by=SetBy.ITSELF, holds=Holds.AIRFLOW,
    )  # fmt: skip
    saying = FLOW


class FansSlowed(Electronic):
    """Fans side by side, all with electronic motors, all slowed together."""

    kind = OptionKind.SLOWED
    traits = replace(BY_SPEED, title=say("electronic-together-title"), belongs=Belongs.FANS)


def electronic_columns(
    rating: Rating, flow: Array, pressure: Array, rpm: Array, shaft: Array, scatter: Array, below: Array, factor: Array
) -> Columns:
    """What an electronic motor takes at speeds and shaft powers; its setting is its speed over the rated one.

    :param rating: of the motor. :param flow: m³/s. :param pressure: Pa. :param rpm: of the motor. :param shaft: W; all of shape ``(scenarios, steps)``.
    :param scatter: logarithm of its losses over those at rating. :param below: the same far below rated torque. :param factor: true power factor.

    Source: :class:`RatedLosses`; I = W ÷ (V λ), definition.
    """
    watts = rating.watts(shaft, rpm, scatter, below)
    return Columns(flow, pressure, rpm, shaft, watts, watts / (rating.volts_per_amp * factor), rpm / rating.speed_rpm)


def standby_power(rating: Rating) -> Estimate:
    """What the electronics take while the rotor stands still, W.

    :param rating: in W. Source: the product's sheet, else our judgement (:func:`typical_standby_w`).
    """
    return measured(rating.standby_w, **{"standby of electronic motors": STANDBY_SPREAD * rating.standby_w})


def noted(step: SolvedStep, demand: Demand, rating: Rating) -> SolvedStep:
    """The step with what the motor's limits and a protected duty make of it.

    :param step: as solved. :param demand: what it asked for. :param rating: whose torque, W/rpm, and speed, rpm, are its limits. Source: definition of the limits.
    """
    notes, too_small = [HELD] if demand.floor > demand.share else [], False
    if step.shaft_power and step.speed:
        load = step.shaft_power.value / step.speed.value / rating.torque_scale
        too_small = load > TORQUE_LIMIT
        if too_small:
            notes.append(say("options-electronic-noted-needs-torque", load=Number(100 * load, ".0f")))
        if step.speed.value > rating.top_share * rating.speed_rpm:
            notes.append(say("options-electronic-noted-above-speed"))
    return replace(step, too_small=step.too_small or too_small).noted(*notes)
