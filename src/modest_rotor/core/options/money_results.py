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
from modest_rotor.core.stations.duty import PartFlow
from modest_rotor.core.working import Ingredient, Result, given, not_known, result, waiting

USUAL_DISCOUNT = 0.05
"""Discount rate where nothing is said. Common practice, no source."""
RANGE = "Definition; range of a ratio: Fieller, J. Roy. Stat. Soc. B 16 (1954)."
NPV = "Growing annuity, engineering economics textbooks; NIST Handbook 135."
CUBE = "Affinity law P ∝ n³ alone, applied to the watts read: what is often promised."
LONGEST_PAYBACK = 60.0
"""Years beyond which a payback is no longer told as a number."""
NEVER = Withheld("never: no saving is expected")
BEYOND_ALL = Withheld("longer than anything here lasts")
NO_SPEED = Withheld("not a matter of speed")
ONE_EFFICIENCY = Withheld("the same: one efficiency is stated")
OPEN_END = "A saving of nothing lies within the uncertainty, so there is no upper end."


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
        return Waiting("waits for what it costs fitted") if self.cost is None else (self.saved, self.cost)


def payback_result(money: Money) -> Result:
    """Cost over yearly saving, with its range.

    :param money: a year's saving and the cost, in one currency. Source: definition, C ÷ S.
    """
    label = "Simple payback"
    known = money.known
    if isinstance(known, Absent):
        return not_known(label, known)
    saved, cost = known
    return _ranged(label, "payback", simple_payback_years(cost, saved), "C ÷ S", known, ())


def break_even_result(money: Money, year: Year) -> Result:
    """Running hours after which it has paid for itself.

    :param money: as :func:`payback_result`. :param year: its hours. Hours. Source: definition.
    """
    label = "Break-even hours"
    known = money.known
    if isinstance(known, Absent):
        return not_known(label, known)
    if year.hours is None:
        return waiting(label, "waits for hours")
    saved, cost = known
    if saved.value <= 0:
        return not_known(label, NEVER)
    hours = break_even_hours(cost, saved, year.hours)
    more = (given("h", "running hours a year", "hours", year.hours, "estimated", "Duty"),)
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
        given("C", "cost fitted: price and labour less rebate", "cost", cost, "estimated", "typed, within 10 %"),
        given("S", "saved a year", "money", saved, "worked-out"),
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
    label = "Present value"
    worth, known = worth_of(money, solved, year), money.known
    for one in (worth, known):
        if isinstance(one, Absent):
            return not_known(label, one)
    assert isinstance(worth, Estimate) and isinstance(known, tuple)
    saved, cost = known
    costs, years = year.costs, year.horizon(solved.considered)
    discount, rise = _rates(year)
    ingredients = (
        given("S", "saved in the first year", "money", saved, "worked-out"),
        given("C", "cost fitted", "cost", cost, "estimated"),
        given("n", "years counted", "life", years, "estimated" if _life_is_said(solved, year) else "assumed"),
        given("d", "discount rate", "discount_rate", discount, "typed" if costs.discount_rate else "assumed"),
        given("e", "rise of the price a year", "escalation", rise, "typed" if costs.escalation else "assumed"),
    )
    remarks = [f"One unit a year is worth {present_worth_factor(years, discount, rise):.2f} today."]
    if year.duty.remaining_life and year.duty.remaining_life.si <= years:
        remarks.append("Counted no longer than the machine that it drives has left.")
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
        factor = present_worth_factor(year.horizon(solved.considered), *_rates(year))
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
    product = solved.considered.product
    return any((solved.considered.life, product and product.life, year.duty.remaining_life))


def cube_result(
    demands: tuple[Demand, ...], saved: Estimate | Absent, found: FoundMachine, year: Year, keeps: bool, slows: bool
) -> Result:
    """The saving that the cube law alone promises for the same flows, and why it is another one here.

    :param demands: shares of full flow. :param saved: kWh a year. :param found: W at full flow. :param year: its hours. :param keeps: whether this is the base.
    :param slows: whether the option slows the wheel. Source: affinity laws, AMCA 201, taken alone.
    """
    label = "By the cube law alone"
    if keeps or isinstance(saved, Absent):
        return not_known(label, THE_BASE if keeps or isinstance(saved, Estimate) else saved)
    if not slows:
        return not_known(label, NO_SPEED)
    pairs = []
    for hours, demand in zip(year.hours_of_steps, demands, strict=True):
        if hours is None:
            return waiting(label, "waits for hours")
        pairs.append((found.input_power * (1 - demand.wanted**3), hours))
    promise = energy_kwh(tuple(pairs)) * float(year.machines)
    ingredients = (
        given("W", "watts of today at full flow", "input_power", found.input_power, found.input_power_basis),
        given("E", "saving worked out here", "energy", saved, "worked-out"),
    )
    return result(
        label, "energy", promise, "Σ W (1 − share³) h ÷ 1000", ingredients, CUBE, _why(promise, saved, found, year)
    )


def _why(promise: Estimate, saved: Estimate, found: FoundMachine, year: Year) -> tuple[str, ...]:
    """Why the cube law and the solved machines differ, by what this job has."""
    reasons = []
    share = found.fixed_pressure.value / found.pressure.value if found.pressure.value else 0.0
    if share > 0:
        reasons.append(f"{100 * share:.0f} % of the pressure stays at any flow, so slowing saves less.")
    partial = any(step.flow_share and step.flow_share.si < 1 for step in year.duty.steps)
    if partial and year.duty.part_flow is PartFlow.RUNS_FULL:
        reasons.append("Today it runs full all the same: that is the base.")
    elif partial and year.duty.part_flow is not None:
        reasons.append(f"Today part flow is met {year.duty.part_flow}, which already takes fewer watts.")
    reasons.append(
        "Losses of motor and electronics do not fall with the cube, and electronics stay awake while it is off."
    )
    if promise.value < saved.value:
        reasons.append("At full flow the new motor itself loses less, which the cube law does not see.")
    return tuple(reasons)


def nominal_result(nominal: Estimate | Absent | None, saved: Estimate | Absent) -> Result:
    """The saving at the nominal efficiency, where the promise rests between that and the guaranteed one.

    :param nominal: kWh a year. :param saved: kWh a year at the expected efficiency. Source: NEMA MG 1, 12.58, nominal and
    guaranteed efficiency (from memory).
    """
    label = "At nominal efficiency"
    if nominal is None:
        return not_known(label, ONE_EFFICIENCY)
    for one in (nominal, saved):
        if isinstance(one, Absent):
            return not_known(label, one)
    assert isinstance(nominal, Estimate) and isinstance(saved, Estimate)
    ingredients = (given("E", "saving between nominal and guaranteed efficiency", "energy", saved, "worked-out"),)
    return result(
        label, "energy", nominal, "the same, losses at the nominal efficiency", ingredients, "The data sheet."
    )
