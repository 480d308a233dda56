"""The book of calculations: every one there is, found by name."""

from __future__ import annotations

from collections.abc import Mapping
from difflib import get_close_matches

from modest_rotor.core.calculations.calculation import Calculated, Calculation, CalculationFacts, calculate, facts_of
from modest_rotor.core.calculations.machine import MACHINES
from modest_rotor.core.calculations.money import MONEY
from modest_rotor.core.calculations.motor import MOTOR
from modest_rotor.core.calculations.standard import STANDARD
from modest_rotor.core.errors import UnknownItem
from modest_rotor.core.quantities import UnitSystem
from modest_rotor.core.say import either, say

CALCULATIONS: tuple[Calculation, ...] = (*MOTOR, *MACHINES, *STANDARD, *MONEY)


def all_calculations() -> tuple[CalculationFacts, ...]:
    """Every calculation with its inputs, units and source."""
    return tuple(facts_of(calculation) for calculation in CALCULATIONS)


def work_out(name: str, typed: Mapping[str, str], units: UnitSystem | None = None) -> Calculated:
    """Work a calculation by its name, as :func:`calculate` does.

    :raises UnknownItem: there is none of that name.
    """
    found = next((calculation for calculation in CALCULATIONS if calculation.name == name), None)
    if found is None:
        near = get_close_matches(name, [calculation.name for calculation in CALCULATIONS], n=3)
        hint = (
            say("calculations-book-work-out-did-you", near=either(near))
            if near
            else say("calculations-book-work-out-calc-list")
        )
        raise UnknownItem(say("calculations-book-work-out-there-calculation", name=name[:60], hint=hint))
    return calculate(found, typed, units)
