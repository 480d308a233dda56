"""Another tap of the motor that is there: slower, for nothing but a moved lead."""

from __future__ import annotations

from dataclasses import replace

from modest_rotor.core.identify.efficiency import TypicalMotor
from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.options.contract import Asked, Demand, Option, OptionKind, SolvedStep, absent_steps
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.keep import on_named_tap
from modest_rotor.core.options.traits import Belongs, SetBy, Traits
from modest_rotor.core.outcome import Withheld
from modest_rotor.core.say import say

USUAL = say("term-low-tap")


class OtherTap(Option):
    """The motor of today on a lower tap all year."""

    kind = OptionKind.OTHER_TAP
    traits = Traits(
        say("other-tap-traits"), "copper-ring", belongs=Belongs.CAPACITOR_MOTORS, set_by=SetBy.TAP, long_lived=True, rewires=False,
        steps=frozenset(("taps",)), asks=("tap",),
    )  # fmt: skip

    def solve(self, found: FoundMachine, demands: tuple[Demand, ...], asked: Asked) -> tuple[SolvedStep, ...]:
        """The same point at every step: what the tap gives."""
        if found.plate.kind is not MotorKind.SPLIT_CAPACITOR:
            return absent_steps(demands, Withheld(say("other-tap-solve")))
        tap = asked.candidate.tap or USUAL
        if not demands:
            return ()
        point = on_named_tap(found, replace(demands[0], tap=tap))
        return tuple(replace(point, id=demand.id) for demand in demands)

    def motor(self, found: FoundMachine) -> TypicalMotor | None:
        """The motor that is in the machine."""
        return found.motor
