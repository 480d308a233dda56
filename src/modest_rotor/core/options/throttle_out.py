"""The throttle that holds a machine back taken out, the motor as it is: more flow, seldom less watts."""

from __future__ import annotations

from dataclasses import replace

from modest_rotor.core.estimate import exactly
from modest_rotor.core.identify.efficiency import TypicalMotor
from modest_rotor.core.options.contract import NEAR_FULL, Asked, Demand, Option, OptionKind, SolvedStep, absent_steps
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.keep import Keep
from modest_rotor.core.options.moved import Moves, moved_machine
from modest_rotor.core.options.traits import Traits
from modest_rotor.core.outcome import Absent, Waiting, Withheld
from modest_rotor.core.physics.fan import medium_of
from modest_rotor.core.quantities import in_both_units
from modest_rotor.core.say import say


class ThrottleOut(Option):
    """The machine of today on its system without a throttle."""

    kind = OptionKind.THROTTLE_OUT
    traits = Traits(say("throttle-out-traits"), "copper-ring", long_lived=True, rewires=False, asks=("throttle_drop",))

    def solve(self, found: FoundMachine, demands: tuple[Demand, ...], asked: Asked) -> tuple[SolvedStep, ...]:
        """Full steps on the opened system; part steps at the flow that they had, throttled again where they are today."""
        drop = asked.candidate.throttle_drop
        if drop is None or not found.pressure_is_measured:
            return absent_steps(demands, Waiting(say("throttle-out-solve-waits-pressure")))
        growing = found.pressure.value - found.fixed_pressure.value
        if drop.si >= growing:
            return absent_steps(
                demands,
                Withheld(
                    say(
                        "throttle-out-solve-throttle-cannot",
                        in_both_units=in_both_units(growing, medium_of(found.machine_type).pressure),
                    )
                ),
            )
        opened = moved_machine(found, Moves(system=exactly(1 - drop.si / growing)))
        if isinstance(opened, Absent):
            return absent_steps(demands, opened)
        back = found.flow.value / opened.flow.value
        eased = tuple(
            demand if demand.share >= NEAR_FULL else replace(demand, share=demand.share * back) for demand in demands
        )
        return tuple(
            step.noted(say("throttle-out-solve-more-flow")) if step.flow and demand.share >= NEAR_FULL else step
            for step, demand in zip(Keep().solve(opened, eased, asked), demands, strict=True)
        )

    def motor(self, found: FoundMachine) -> TypicalMotor | None:
        """The motor that is in the machine."""
        return found.motor
