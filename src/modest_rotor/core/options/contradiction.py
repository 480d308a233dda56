"""Readings that cannot be so: what contradicts itself or the plate beyond every meter's error withholds the saving."""

from __future__ import annotations

from dataclasses import dataclass

from modest_rotor.core.identify.motor import PlateFacts
from modest_rotor.core.quantities import in_both_units
from modest_rotor.core.stations.set_facts import SetFacts

MOST_LOAD = 2.0
"""Load over rated power beyond which no motor runs for long. Common practice, no source."""
LEAST_SPEED_SHARE = 0.5
"""Share of synchronous speed below which an induction motor on its full setting does not run: beyond pull-out of every kind.
Common practice, no source."""
NOTHING_FITS = "withheld: no motor of this plate shows readings like these at any load. Findings name the likeliest suspect: read that again."
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
        return f"withheld: {self.sentence[:1].lower()}{self.sentence[1:]} {self.action}"


def contradiction(reference: SetFacts | None, plate: PlateFacts) -> Contradiction | None:
    """What in the set that everything stands on cannot be so; nothing where it can.

    Bands are allowed for: only what no meter's error explains withholds a saving. Source: definitions; conservation of energy.
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
        f"In {reference.title} it turns at less than half of synchronous speed on its full setting, where no such motor runs for long.",
        "Read the speed again, with one mark, and look at its figures; or say that it ran on a lower setting, a regulator or a drive.",
    )


def _impossible_power(reference: SetFacts, plate: PlateFacts) -> Contradiction | None:
    power, watts, rated = reference.shaft_power, reference.running.input_power, plate.rated_power_w
    if power is None or power.value <= 0:
        return None
    least, most = power.value - power.band, power.value + power.band
    if watts is not None and least > watts.value + watts.band:
        return Contradiction(
            "shaft_over_input",
            f"In {reference.title} the shaft would give {in_both_units(power.value, 'shaft_power')} of {watts.value:,.0f} W taken.",
            "Read the watts again, with the clamp on one conductor alone, and the speed.",
        )
    if rated and least > MOST_LOAD * rated:
        return Contradiction(
            "load_is_impossible",
            f"In {reference.title} the load would be {100 * power.value / rated:,.0f} % of the plate's power.",
            "Read the speed again, with one mark, and look at the plate's power, amps and speed.",
        )
    if watts is not None and watts.value > 0 and most < LEAST_EFFICIENCY * watts.value:
        return Contradiction(
            "shaft_far_under_input",
            f"In {reference.title} the shaft would give {in_both_units(power.value, 'shaft_power')} of {watts.value:,.0f} W taken.",
            "Read speed and watts again; a bare shaft or a slipping wheel explains it too.",
        )
    if reference.flow and reference.pressure and not reference.one_sided:
        given = reference.flow * reference.pressure
        if given.value - given.band > most:
            return Contradiction(
                "air_power_over_shaft_power",
                f"In {reference.title} flow × pressure makes {in_both_units(given.value, 'shaft_power')}, more than the {in_both_units(power.value, 'shaft_power')} at the shaft.",
                "Look again at flow, pressure and their units, at the plate, and at the watts.",
            )
    return None
