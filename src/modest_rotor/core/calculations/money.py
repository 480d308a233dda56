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
from modest_rotor.core.say import say

YEAR = say("money-year")
DEFINITION = say("word-definition")
WATTS = Input("input_power", "W", say("term-input-power"), "input_power")
ENERGY = Input("energy", "E", say("term-energy"), "energy")


def _payback(cost: float, saving: float) -> float:
    years = simple_payback_years(exactly(cost), exactly(saving)).value
    if years is None:
        raise OutsideValidity(say("money-payback"))
    return years


def _discounted(cost: float, saving: float, discount: float, escalation: float) -> float:
    years = discounted_payback_years(cost, saving, discount, escalation)
    if years is None:
        raise OutsideValidity(say("money-discounted"))
    return years


MONEY: tuple[Calculation, ...] = (
    Calculation(
        "energy", say("money-energy-year"), YEAR, (WATTS, Input("hours", "h", say("term-hours-a-year"), "hours")), (Output(say("money-energy-2"), "energy"),),
        "E = W h ÷ 1000", DEFINITION, lambda w, h: energy_kwh(((exactly(w), exactly(h)),)).value,
        say("money-each-step"),
    ),
    Calculation(
        "energy_cost", say("money-cost-energy"), YEAR, (ENERGY, Input("energy_price", "c", say("money-price-kilowatt"), "energy_price", exact=True)),
        (Output(say("money-cost"), "money"),), "E c", DEFINITION, lambda e, c: e * c,
    ),
    Calculation(
        "start_energy", say("money-energy-year-s"), YEAR,
        (WATTS, Input("starting_time", "t", say("money-seconds-full"), "starting_time"), Input("starts", "N", say("term-starts-a-year"), "starts", exact=True)),
        (Output(say("label-energy-of-the-starts"), "energy"),), "W t N ÷ 3,600,000", DEFINITION,
        lambda w, t, n: start_energy_kwh(exactly(w), t, n).value, say("money-watts-rotor"),
    ),
    Calculation(
        "discounted_payback", say("money-payback-money"), YEAR,
        (Input("cost", "C", say("money-cost-2"), "cost"), Input("saving", "S", say("money-saving-year"), "cost"),
         Input("discount_rate", "d", say("term-discount-rate"), "discount_rate", default="5 %"), Input("escalation", "e", say("money-rise-energy"), "escalation", default="0 %")),
        (Output(say("money-payback-2"), "payback"),), say("money-n-s"), say("money-nist-handbook"), _discounted,
    ),
    Calculation(
        "emissions", say("money-emissions-energy"), YEAR, (ENERGY, Input("emission_rate", "e", say("term-emissions-of-the-supply"), "emission_rate", exact=True)),
        (Output(say("money-emissions"), "emissions"),), "E e", say("money-ghg-protocol"), lambda e, rate: emissions_kg(exactly(e), rate).value,
    ),
    Calculation(
        "simple_payback", say("label-simple-payback"), YEAR, (Input("cost", "C", say("term-cost-fitted"), "cost", exact=True), Input("saving", "S", say("term-saved-a-year"), "money", exact=True)),
        (Output(say("label-simple-payback"), "payback"),), "C ÷ S", DEFINITION, _payback,
    ),
)  # fmt: skip
