"""Calculations of a year's energy and money."""

from __future__ import annotations

from modest_rotor.core.calculations.calculation import Calculation, Input, Output
from modest_rotor.core.economy import (
    discounted_payback_years,
    emissions_kg,
    energy_kwh,
    simple_payback_years,
    start_energy_kwh,
)
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import exactly

YEAR = "a year"
DEFINITION = "Definition."
WATTS = Input("input_power", "W", "input power", "input_power")
ENERGY = Input("energy", "E", "energy", "energy")


def _payback(cost: float, saving: float) -> float:
    years = simple_payback_years(exactly(cost), exactly(saving)).value
    if years is None:
        raise OutsideValidity("A saving of nothing, or less, never pays back.")
    return years


def _discounted(cost: float, saving: float, discount: float, escalation: float) -> float:
    years = discounted_payback_years(cost, saving, discount, escalation)
    if years is None:
        raise OutsideValidity("At this discount rate the savings never pay the cost back.")
    return years


MONEY: tuple[Calculation, ...] = (
    Calculation(
        "energy", "Energy of a year", YEAR, (WATTS, Input("hours", "h", "hours a year", "hours")), (Output("Energy", "energy"),),
        "E = W h ÷ 1000", DEFINITION, lambda w, h: energy_kwh(((exactly(w), exactly(h)),)).value,
        "For each step of the year by itself: the cube of the mean flow is not the mean of the cubes.",
    ),
    Calculation(
        "energy_cost", "Cost of energy", YEAR, (ENERGY, Input("energy_price", "c", "price of a kilowatt-hour", "energy_price", exact=True)),
        (Output("Cost", "money"),), "E c", DEFINITION, lambda e, c: e * c,
    ),
    Calculation(
        "start_energy", "Energy of a year's starts", YEAR,
        (WATTS, Input("run_up", "t", "seconds to full speed", "run_up"), Input("starts", "N", "starts a year", "starts", exact=True)),
        (Output("Energy of the starts", "energy"),), "W t N ÷ 3,600,000", DEFINITION,
        lambda w, t, n: start_energy_kwh(exactly(w), t, n).value, "Watts with the rotor locked give the most that it can be.",
    ),
    Calculation(
        "discounted_payback", "Payback with money's worth in time", YEAR,
        (Input("cost", "C", "cost", "cost"), Input("saving", "S", "saving a year", "cost"),
         Input("discount_rate", "d", "discount rate", "discount_rate", default="5 %"), Input("escalation", "e", "rise of the energy price", "escalation", default="0 %")),
        (Output("Payback", "payback"),), "n with S (1 − kⁿ) ÷ ((1 − k) (1 + d)) = C, k = (1 + e) ÷ (1 + d)", "NIST Handbook 135; geometric series.", _discounted,
    ),
    Calculation(
        "emissions", "Emissions of energy", YEAR, (ENERGY, Input("emission_rate", "e", "emissions of the supply", "emission_rate", exact=True)),
        (Output("Emissions", "emissions"),), "E e", "GHG Protocol, scope 2, location-based.", lambda e, rate: emissions_kg(exactly(e), rate).value,
    ),
    Calculation(
        "simple_payback", "Simple payback", YEAR, (Input("cost", "C", "cost fitted", "cost", exact=True), Input("saving", "S", "saved a year", "money", exact=True)),
        (Output("Simple payback", "payback"),), "C ÷ S", DEFINITION, _payback,
    ),
)  # fmt: skip
