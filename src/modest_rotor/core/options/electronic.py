"""An electronically commutated motor with a speed command, of the plate's rating."""

from __future__ import annotations

import numpy as np

from modest_rotor.core.estimate import Array, Estimate, exactly, measured
from modest_rotor.core.identify.efficiency import TypicalMotor
from modest_rotor.core.options.contract import Demand, How, OptionKind, SolvedStep, curve_and_system, solve_steps
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.physics import electronic
from modest_rotor.core.physics.load import speed_ratio_for_flow
from modest_rotor.core.stations.duty import PartFlow

LOSS_SCATTER = measured(1.0, **{"losses of electronic motors": 0.20})
"""How far the losses of real electronic motors scatter about the typical formula. Our judgement, no source."""
TORQUE_LIMIT = 1.0
"""Torque over rated torque at which an electronic motor holds its limit and no longer its speed."""


class Electronic:
    """An electronic motor that is told a speed, and gives at each step the flow asked for."""

    kind = OptionKind.ELECTRONIC
    title = "Electronic, speed command"
    series = "verdigris"

    def solve(
        self, found: FoundMachine, demands: tuple[Demand, ...], part_flow: PartFlow | None
    ) -> tuple[SolvedStep, ...]:
        """The speed that gives each step its flow, and the watts for it; never below a protected flow."""
        plate = found.plate
        assert plate.rated_power_w is not None
        rated_power, rated_speed = plate.rated_power_w, plate.rated_speed_rpm or found.speed.value
        shares = np.array([max(demand.share, demand.floor) for demand in demands])

        def work(
            flow: Array, pressure: Array, power: Array, place: Array, fixed: Array, speed: Array, scatter: Array
        ) -> tuple[Array, Array, Array, Array, Array]:
            machine, system = curve_and_system(found, flow, pressure, power, place, fixed)
            part = flow * shares
            ratio = speed_ratio_for_flow(machine, system, part)
            shaft = machine.power_at(part, ratio)
            torque_ratio = (shaft / (speed * ratio)) / (rated_power / rated_speed)
            watts = electronic.input_power_w(shaft, rated_power, torque_ratio, speed * ratio / rated_speed, scatter)
            return part, system.pressure_at(part), speed * ratio, shaft, watts

        inputs = (*found.curve_inputs, found.speed, LOSS_SCATTER)
        ids = tuple(demand.id for demand in demands)
        solved = solve_steps(ids, work, inputs, How.COMMANDED, "no speed gives this flow on the generic curve")
        return tuple(_noted(solved[demand.id], demand, rated_power / rated_speed) for demand in demands)

    def motor(self, found: FoundMachine) -> TypicalMotor | None:
        """None: an electronic motor's watts rest on its own losses."""
        return None


def standby_power() -> Estimate:
    """What the electronics take while the rotor stands still, W, with the scatter of all electronic losses."""
    return exactly(electronic.STANDBY_W) * LOSS_SCATTER


def _noted(step: SolvedStep, demand: Demand, rated_watts_per_rpm: float) -> SolvedStep:
    notes = []
    if demand.floor > demand.share:
        notes.append("held at the protected flow")
    if step.shaft_power and step.speed:
        load = step.shaft_power.value / step.speed.value / rated_watts_per_rpm
        if load > TORQUE_LIMIT:
            notes.append(f"needs {100 * load:.0f} % of the plate's torque: take the next size up")
    return SolvedStep(**{**step.__dict__, "note": "; ".join(filter(None, [step.note, *notes]))})
