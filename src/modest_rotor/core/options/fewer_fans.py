"""Fans side by side: as many of them running as the flow needs, the others off."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import replace

import numpy as np

from modest_rotor.core.estimate import Array
from modest_rotor.core.identify.efficiency import TypicalMotor
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
    absent_steps,
    curve_and_system,
    solve_steps,
)
from modest_rotor.core.options.electronic import HELD
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.solved import run_on, stacked
from modest_rotor.core.options.traits import Belongs, SetBy, Traits
from modest_rotor.core.outcome import Waiting
from modest_rotor.core.physics.load import Load
from modest_rotor.core.physics.supply import Supply
from modest_rotor.core.say import say

WAITS = Waiting(say("fewer-fans-waits"))
FITTED = Waiting(say("term-waits-for-a-fitted-motor"))
BACKFLOW = say("fewer-fans-backflow")
OFF_CURVE = say("fewer-fans-off-curve")
SLACK = 0.03
"""Share of full flow by which staged fans may fall short before one more is started."""


class FansStaged(Option):
    """The fans of today, some of them switched off."""

    kind = OptionKind.STAGED
    traits = Traits(
        say("fewer-fans-fans-staged-traits"),
        "copper-ring",
        commanded=True,
        belongs=Belongs.FANS,
        set_by=SetBy.NUMBER_RUNNING,
    )

    def solve(self, found: FoundMachine, demands: tuple[Demand, ...], asked: Asked) -> tuple[SolvedStep, ...]:
        """For each step the fewest fans that give its flow; flow and watts are told for each of all fans, so that years compare."""
        if asked.machines < 2:
            return absent_steps(demands, WAITS)
        if found.own is None:
            return absent_steps(demands, FITTED)
        stages = [self._running(found, asked.machines, count) for count in range(1, asked.machines + 1)]
        return tuple(_stage(demand, stages, found) for demand in demands)

    def _running(self, found: FoundMachine, machines: int, count: int) -> SolvedStep:
        """Some of the fans on the duct that all share, per fan installed: the duct asks for what their flow together does."""
        own = found.own
        assert own is not None

        def work(*columns: Array) -> Columns:
            curve, (speed, watts, volts) = columns[:CURVE], columns[CURVE : len(fixed)]
            machine, system = curve_and_system(found, *curve)
            # The system was read as one fan sees it: a share of the duct's flow at the duct's pressure.
            shared = replace(system, coefficient=system.coefficient / machines**system.exponent)
            motor, supply = stacked(own.family, columns[len(fixed) :]), Supply(volts, own.plate.frequency_hz or 0.0)

            def torque(load: Load) -> Callable[[Array], Array]:
                return lambda rpm: np.asarray(load.torque_at(rpm))

            every, some = Load(machine, speed, shared, running=machines), Load(machine, speed, shared, running=count)
            was = run_on(own.family, motor, supply, torque(every), speed.shape)
            now = run_on(own.family, motor, supply, torque(some), speed.shape)
            rpm = speed * now.speed_rpm / was.speed_rpm
            point = some.at_motor_speed(np.where(np.isnan(rpm), speed, rpm))
            share = count / machines
            sound = np.where(point.beyond, np.nan, 1.0)
            taken = watts * now.input_power_w / was.input_power_w * share
            return Columns(
                point.flow / machines * sound, point.pressure * sound, rpm, point.machine_power_w * share, taken
            )

        fixed = (*found.curve_inputs, found.speed, found.input_power, found.volts)
        words = say("fewer-fans-running", count=count, machines=machines)
        saying = Saying(How.FEWER_FANS, OFF_CURVE, "", words)
        step = solve_steps((words,), work, (*fixed, *own.estimates), saying)[words]
        return replace(step, set_words=words).noted(BACKFLOW if count < machines else "")

    def motor(self, found: FoundMachine) -> TypicalMotor | None:
        """The motor that is in the machine."""
        return found.motor


def _stage(demand: Demand, stages: list[SolvedStep], found: FoundMachine) -> SolvedStep:
    need = demand.wanted * found.flow.value
    least = need if demand.floor else need - SLACK * found.flow.value
    enough = [stage for stage in stages if stage.flow and stage.flow.value >= least]
    chosen = enough[0] if enough else stages[-1]
    return replace(chosen, id=demand.id).noted(HELD if demand.floor > demand.share else "")
