"""What an option is worth: payback, break-even hours, present value, and what the cube law alone would have promised."""

from __future__ import annotations

from dataclasses import dataclass

from modest_rotor.core.economy import (
    PaybackRange,
    break_even_hours,
    energy_kwh,
    net_present_value,
    present_worth_factor,
    simple_payback_years,
)
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import Estimate
from modest_rotor.core.options.contract import Demand
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.year import Solved, Year
from modest_rotor.core.options.year_results import THE_BASE
from modest_rotor.core.outcome import Absent, Waiting, Withheld
from modest_rotor.core.say import Number, say, tell
from modest_rotor.core.stations.duty import PartFlow
from modest_rotor.core.working import Ingredient, Result, given, not_known, result, waiting

USUAL_DISCOUNT = 0.05
"""Discount rate where nothing is said. Common practice, no source."""
RANGE = say("money-results-range")
NPV = say("money-results-npv")
CUBE = say("money-results-cube")
LONGEST_PAYBACK = 60.0
"""Years beyond which a payback is no longer told as a number."""
NEVER = Withheld(say("money-results-never"))
BEYOND_ALL = Withheld(say("money-results-beyond-all"))
NO_SPEED = Withheld(say("money-results-no-speed"))
ONE_EFFICIENCY = Withheld(say("money-results-one-efficiency"))
OPEN_END = say("money-results-open-end")


@dataclass(frozen=True)
class Money:
    """What the three results of money share: saving a year in money, its cost, and what stands in the way."""

    saved: Estimate | Absent
    cost: Estimate | None
    keeps: bool

    @classmethod
    def at(
        cls, saved: Estimate | Absent, cost: Estimate | None, year: Year, waits: Absent | None, keeps: bool
    ) -> Money:
        """The saving in money, with what it costs."""
        price = year.price
        if keeps:
            return cls(THE_BASE, None, keeps)
        if isinstance(saved, Absent):
            return cls(saved, None, keeps)
        if waits or price is None:
            return cls(waits or year.price_waits, None, keeps)
        return cls(saved * price, cost, keeps)

    @property
    def known(self) -> tuple[Estimate, Estimate] | Absent:
        """What it saves a year and what it costs fitted, or why payback and worth are not there."""
        if isinstance(self.saved, Absent):
            return self.saved
        return Waiting(say("money-results-known")) if self.cost is None else (self.saved, self.cost)


def payback_result(money: Money) -> Result:
    """Cost over yearly saving, with its range.

    :param money: a year's saving and the cost, in one currency. Source: definition, C ÷ S.
    """
    label = say("label-simple-payback")
    known = money.known
    if isinstance(known, Absent):
        return not_known(label, known)
    saved, cost = known
    return _ranged(label, "payback", simple_payback_years(cost, saved), "C ÷ S", known, ())


def break_even_result(money: Money, year: Year) -> Result:
    """Running hours after which it has paid for itself.

    :param money: as :func:`payback_result`. :param year: its hours. Hours. Source: definition.
    """
    label = say("money-results-break-even-result-break-even")
    known = money.known
    if isinstance(known, Absent):
        return not_known(label, known)
    if year.hours is None:
        return waiting(label, tell("term-waits-for-hours"))
    saved, cost = known
    if saved.value <= 0:
        return not_known(label, NEVER)
    hours = break_even_hours(cost, saved, year.hours)
    more = (
        given(
            "h",
            say("money-results-break-even-result-running-hours"),
            "hours",
            year.hours,
            "estimated",
            say("word-duty"),
        ),
    )
    return _ranged(label, "running_hours", hours, "C ÷ (S ÷ h)", known, more)


def _ranged(
    label: str,
    quantity: str,
    found: PaybackRange,
    formula: str,
    known: tuple[Estimate, Estimate],
    more: tuple[Ingredient, ...],
) -> Result:
    """:param known: what it saves a year, and what it costs fitted."""
    if found.value is None or (found.high is None and found.low is None):
        return not_known(label, NEVER)
    if quantity == "payback" and found.low is not None and found.low > LONGEST_PAYBACK:
        return not_known(label, BEYOND_ALL)
    saved, cost = known
    ingredients = (
        given(
            "C",
            say("money-results-ranged-cost-fitted"),
            "cost",
            cost,
            "estimated",
            say("money-results-ranged-typed-within"),
        ),
        given("S", say("term-saved-a-year"), "money", saved, "worked-out"),
        *more,
    )
    remarks = (OPEN_END,) if found.high is None else ()
    worked = result(label, quantity, found.value, formula, ingredients, RANGE, remarks)
    assert worked.figure is not None
    return worked.model_copy(update={"figure": worked.figure.model_copy(update={"low": found.low, "high": found.high})})


def worth_result(money: Money, solved: Solved, year: Year) -> Result:
    """Present value over the stated life, with escalation and discount.

    :param money: a year's saving and the cost. :param solved: whose life counts, years. Source: present worth of a growing
    series, NIST Handbook 135.
    """
    label = say("money-results-worth-result-present-value")
    worth, known = worth_of(money, solved, year), money.known
    for one in (worth, known):
        if isinstance(one, Absent):
            return not_known(label, one)
    assert isinstance(worth, Estimate) and isinstance(known, tuple)
    saved, cost = known
    costs, years = year.costs, year.horizon(solved.candidate)
    discount, rise = _rates(year)
    ingredients = (
        given("S", say("money-results-worth-result-saved-first"), "money", saved, "worked-out"),
        given("C", say("term-cost-fitted"), "cost", cost, "estimated"),
        given(
            "n",
            say("money-results-worth-result-years-counted"),
            "life",
            years,
            "estimated" if _life_is_said(solved, year) else "assumed",
        ),
        given("d", say("term-discount-rate"), "discount_rate", discount, "typed" if costs.discount_rate else "assumed"),
        given(
            "e",
            say("money-results-worth-result-rise-price"),
            "escalation",
            rise,
            "typed" if costs.escalation else "assumed",
        ),
    )
    remarks = [
        say(
            "money-results-worth-result-one-unit",
            present_worth_factor=Number(present_worth_factor(years, discount, rise), ".2f"),
        )
    ]
    if year.duty.remaining_life and year.duty.remaining_life.si <= years:
        remarks.append(say("money-results-worth-result-counted-longer"))
    return result(label, "money", worth, "S Σ (1 + e)^(t−1) ÷ (1 + d)^t − C", ingredients, NPV, tuple(remarks))


def worth_of(money: Money, solved: Solved, year: Year) -> Estimate | Absent:
    """Present value of a saving over the years counted less its cost, money; or the words that say what it waits for.

    :param money: a year's saving and the cost. :param solved: whose life is counted, years. :param year: discount and escalation, fractions a year.

    Source: present value of a growing series; NIST Handbook 135.
    """
    known = money.known
    if isinstance(known, Absent):
        return known
    saved, cost = known
    try:
        factor = present_worth_factor(year.horizon(solved.candidate), *_rates(year))
    except OutsideValidity as refusal:
        return Withheld(refusal.sentence)
    return net_present_value(cost, saved, factor)


def _rates(year: Year) -> tuple[float, float]:
    """Discount rate and rise of the price a year, as shares."""
    costs = year.costs
    discount = costs.discount_rate.si if costs.discount_rate else USUAL_DISCOUNT
    return discount, costs.escalation.si if costs.escalation else 0.0


def _life_is_said(solved: Solved, year: Year) -> bool:
    """Whether the years counted come from anybody: of the option, its product, or the machine."""
    product = solved.candidate.product
    return any((solved.candidate.life, product and product.life, year.duty.remaining_life))


def cube_result(
    demands: tuple[Demand, ...], saved: Estimate | Absent, found: FoundMachine, year: Year, keeps: bool, slows: bool
) -> Result:
    """The saving that the cube law alone promises for the same flows, and why it is another one here.

    :param demands: shares of full flow. :param saved: kWh a year. :param found: W at full flow. :param year: its hours. :param keeps: whether this is the base.
    :param slows: whether the option slows the wheel. Source: affinity laws, AMCA 201, taken alone.
    """
    label = say("money-results-cube-result-cube-law")
    if keeps or isinstance(saved, Absent):
        return not_known(label, THE_BASE if keeps or isinstance(saved, Estimate) else saved)
    if not slows:
        return not_known(label, NO_SPEED)
    pairs = []
    for hours, demand in zip(year.hours_of_steps, demands, strict=True):
        if hours is None:
            return waiting(label, tell("term-waits-for-hours"))
        pairs.append((found.input_power * (1 - demand.wanted**3), hours))
    promise = energy_kwh(tuple(pairs)) * float(year.machines)
    ingredients = (
        given(
            "W", say("money-results-cube-result-watts-today"), "input_power", found.input_power, found.input_power_basis
        ),
        given("E", say("money-results-cube-result-saving-worked"), "energy", saved, "worked-out"),
    )
    return result(
        label,
        "energy",
        promise,
        say("money-results-cube-result-formula"),
        ingredients,
        CUBE,
        _why(promise, saved, found, year),
    )


def _why(promise: Estimate, saved: Estimate, found: FoundMachine, year: Year) -> tuple[str, ...]:
    """Why the cube law and the solved machines differ, by what this job has."""
    reasons = []
    share = found.fixed_pressure.value / found.pressure.value if found.pressure.value else 0.0
    if share > 0:
        reasons.append(say("money-results-why-pressure-stays", share=Number(100 * share, ".0f")))
    partial = any(step.flow_share and step.flow_share.si < 1 for step in year.duty.steps)
    if partial and year.duty.part_flow is PartFlow.RUNS_FULL:
        reasons.append(say("money-results-why-today-runs"))
    elif partial and year.duty.part_flow is not None:
        reasons.append(say("money-results-why-today-part", part_flow=year.duty.part_flow))
    reasons.append(say("money-results-why-losses-motor"))
    if promise.value < saved.value:
        reasons.append(say("money-results-why-full-flow"))
    return tuple(reasons)


def nominal_result(nominal: Estimate | Absent | None, saved: Estimate | Absent) -> Result:
    """The saving at the nominal efficiency, where the promise rests between that and the guaranteed one.

    :param nominal: kWh a year. :param saved: kWh a year at the expected efficiency. Source: NEMA MG 1, 12.58, nominal and
    guaranteed efficiency (from memory).
    """
    label = say("money-results-nominal-result-nominal-efficiency")
    if nominal is None:
        return not_known(label, ONE_EFFICIENCY)
    for one in (nominal, saved):
        if isinstance(one, Absent):
            return not_known(label, one)
    assert isinstance(nominal, Estimate) and isinstance(saved, Estimate)
    ingredients = (given("E", say("money-results-nominal-result-saving-between"), "energy", saved, "worked-out"),)
    return result(
        label,
        "energy",
        nominal,
        say("money-results-nominal-result-same-losses"),
        ingredients,
        say("money-results-nominal-result-data-sheet"),
    )
