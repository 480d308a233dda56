"""What a closed loop holds on its machine: facts of the kind, of the place of its sensor, of its command."""

from __future__ import annotations

from dataclasses import dataclass

from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.setup.drive_settings import frequency_limits
from modest_rotor.core.setup.facts import SetupFacts
from modest_rotor.core.stations.loop import Holds, Loop, LoopTry, MoreSpeed, SensorPlace, Values
from modest_rotor.core.stations.sheet import quantity_of

LEFT_AT = {SensorPlace.UNIT: 0.6, SensorPlace.TWO_THIRDS: 0.3, SensorPlace.FARTHEST: 0.1}
"""Share of the total external static that is left where a sensor usually sits. Our judgement, no source: two meters at once tell it."""
PATHS = {
    Holds.DUCT: "pressure",
    Holds.DIFFERENTIAL: "differential",
    Holds.COIL: "difference",
    Holds.LEVEL: "level",
    Holds.SPACE: "temperature",
}
"""The sheet of each kind's values."""
PRESSURES = (Holds.DUCT, Holds.DIFFERENTIAL)


@dataclass(frozen=True)
class HeldLoop:
    """What is held, on its machine."""

    facts: SetupFacts
    loop: Loop
    holds: Holds

    @property
    def values(self) -> Values:
        return getattr(self.loop, PATHS[self.holds])  # type: ignore[no-any-return]

    @property
    def quantity(self) -> str:
        return str(quantity_of(type(self.values), "set_point"))

    @property
    def span_quantity(self) -> str:
        """In which quantity the sensor's range is told."""
        return str(quantity_of(type(self.values), "span"))

    @property
    def raises(self) -> bool | None:
        """Whether more speed raises the value; ``None`` where the kind does not settle it and nobody said."""
        if self.holds in PRESSURES:
            return True
        if self.holds is Holds.COIL:
            return False
        return None if self.loop.raises is None else self.loop.raises is MoreSpeed.RAISES

    @property
    def newest(self) -> LoopTry | None:
        """The gains that were tried last."""
        return self.loop.tries[-1] if self.loop.tries else None

    @property
    def machine(self) -> FoundMachine:
        return self.facts.machine

    @property
    def high(self) -> float:
        """Full command: highest hertz of a drive, 100 % of a signal."""
        return frequency_limits(self.facts).high if self.facts.on_drive else 1.0

    @property
    def low(self) -> float:
        return frequency_limits(self.facts).low if self.facts.on_drive else 0.0

    @property
    def command_quantity(self) -> str:
        return "output_frequency" if self.facts.on_drive else "signal"

    @property
    def full_share(self) -> float | None:
        """Command of the step with the most flow, a share of full."""
        told = [
            (step.flow.value, piece.value)
            for step in self.facts.option.steps
            for piece in step.setting
            if not isinstance(piece, str) and step.flow and piece.value > 0
        ]
        return max(told)[1] / self.high if told else None

    @property
    def left(self) -> float | None:
        """Share of the total external static that is left at the sensor."""
        if self.loop.left:
            return self.loop.left.si
        return LEFT_AT[self.loop.place] if self.loop.place else None


def has_step(held: HeldLoop) -> bool:
    """Whether a step of the command was read, with all that belongs to it."""
    values, loop = held.values, held.loop
    commands = (loop.hertz_before, loop.hertz_after) if held.facts.on_drive else (loop.signal_before, loop.signal_after)
    return all((*commands, values.before, values.after, loop.began, loop.two_thirds, values.span))
