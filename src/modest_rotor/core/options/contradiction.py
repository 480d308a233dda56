"""Readings that cannot be so: what contradicts itself or the plate beyond every meter's error withholds the saving."""

from __future__ import annotations

from dataclasses import dataclass

from modest_rotor.core.identify.motor import PlateFacts
from modest_rotor.core.quantities import in_both_units
from modest_rotor.core.say import Number, say, small
from modest_rotor.core.stations.set_facts import SetFacts

MOST_LOAD = 2.0
"""Load over rated power beyond which no motor runs for long. Common practice, no source."""
LEAST_SPEED_SHARE = 0.5
"""Share of synchronous speed below which an induction motor on its full setting does not run: beyond pull-out of every kind.
Common practice, no source."""
NOTHING_FITS = say("contradiction-nothing-fits")
LEAST_EFFICIENCY = 0.10
"""Efficiency below which a set is not one of a machine that works. Our judgement, no source."""


@dataclass(frozen=True)
class Contradiction:
    """Why the set that everything stands on cannot be so: the rule that says it, what is the matter, and what to read again."""

    rule: str
    sentence: str
    action: str

    @property
    def withheld(self) -> str:
        """What stands in place of every saving."""
        return say("contradiction-withheld", sentence=small(self.sentence), action=self.action)


def contradiction(reference: SetFacts | None, plate: PlateFacts) -> Contradiction | None:
    """What in the set that everything stands on cannot be so; nothing where it can.

    Uncertainties are allowed for: only what no meter's error explains withholds a saving. Source: definitions; conservation of energy.
    """
    return None if reference is None else (_turns_too_slowly(reference, plate) or _impossible_power(reference, plate))


def _turns_too_slowly(reference: SetFacts, plate: PlateFacts) -> Contradiction | None:
    speed, synchronous = reference.running.speed, reference.synchronous_rpm
    if speed is None or synchronous is None or plate.is_electronic or reference.standing is not None:
        return None
    if not 0 < speed.value < LEAST_SPEED_SHARE * synchronous:
        return None
    return Contradiction(
        "turns_too_slowly",
        say("contradiction-turns-too-slowly-turns-less", reference=reference.title),
        say("contradiction-turns-too-slowly-read-speed"),
    )


def _impossible_power(reference: SetFacts, plate: PlateFacts) -> Contradiction | None:
    power, watts, rated = reference.shaft_power, reference.running.input_power, plate.rated_power_w
    if power is None or power.value <= 0:
        return None
    least, most = power.value - power.uncertainty, power.value + power.uncertainty
    if watts is not None and least > watts.value + watts.uncertainty:
        return Contradiction(
            "shaft_over_input",
            say(
                "contradiction-impossible-power-shaft-would",
                reference=reference.title,
                in_both_units=in_both_units(power.value, "shaft_power"),
                watts=Number(watts.value, ",.0f"),
            ),
            say("contradiction-impossible-power-read-watts"),
        )
    if rated and least > MOST_LOAD * rated:
        return Contradiction(
            "load_is_impossible",
            say(
                "contradiction-impossible-power-load-would",
                reference=reference.title,
                rated=Number(100 * power.value / rated, ",.0f"),
            ),
            say("contradiction-impossible-power-read-speed"),
        )
    if watts is not None and watts.value > 0 and most < LEAST_EFFICIENCY * watts.value:
        return Contradiction(
            "shaft_far_under_input",
            say(
                "contradiction-impossible-power-shaft-would",
                reference=reference.title,
                in_both_units=in_both_units(power.value, "shaft_power"),
                watts=Number(watts.value, ",.0f"),
            ),
            say("contradiction-impossible-power-read-speed-watts"),
        )
    if reference.flow and reference.pressure and not reference.one_sided:
        given = reference.flow * reference.pressure
        if given.value - given.uncertainty > most:
            return Contradiction(
                "air_power_over_shaft_power",
                say(
                    "contradiction-impossible-power-flow-pressure",
                    reference=reference.title,
                    in_both_units=in_both_units(given.value, "shaft_power"),
                    in_both_units_2=in_both_units(power.value, "shaft_power"),
                ),
                say("contradiction-impossible-power-look-again"),
            )
    return None
