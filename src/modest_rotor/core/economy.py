"""From watts and hours to kilowatt-hours, money and payback."""

from __future__ import annotations

import math
from dataclasses import dataclass

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import COVERAGE_95, Estimate
from modest_rotor.core.say import Number, say

WATTS_PER_KILOWATT = 1000.0
SECONDS_PER_HOUR = 3600.0


SAME_RATE = 1e-9
"""Difference of the ratio of rises from one below which money keeps its worth."""


def energy_kwh(steps: tuple[tuple[Estimate, Estimate], ...]) -> Estimate:
    """Energy of a year, Σ W h ÷ 1000, in kWh.

    :param steps: for each duty step its input power in W and its hours in h. Sources that steps share stay shared.

    Source: definition. The mean of the cubes is not the cube of the mean: each step is solved by itself.
    """
    total = 0.0
    contributions: dict[str, float] = {}
    for (
        watts,
        hours,
    ) in steps:  # products to first order, summed part by part: the same as adding them one after another
        total += watts.value * hours.value
        for one, other in ((watts, hours.value), (hours, watts.value)):
            for name, contribution in one.contributions.items():
                contributions[name] = contributions.get(name, 0.0) + contribution * other / WATTS_PER_KILOWATT
    return Estimate(total / WATTS_PER_KILOWATT, contributions)


def start_energy_kwh(watts: Estimate, seconds: float, starts: float) -> Estimate:
    """Energy of a year's starts, W t n ÷ 3,600,000, in kWh.

    :param watts: mean input power from rest to full speed, W. :param seconds: time of one start, s.
    :param starts: starts a year.

    Validity: the mean is at most that with the rotor locked, so the energy is at most this. Source: definition.
    """
    return watts * (seconds * starts / SECONDS_PER_HOUR / WATTS_PER_KILOWATT)


def emissions_kg(energy: Estimate, rate_kg_per_kwh: float) -> Estimate:
    """Emissions of an energy, E e, in kg of CO₂ equivalent.

    :param energy: kWh. :param rate_kg_per_kwh: of the supply, for example from the national grid's yearly figures.

    Source: definition; Greenhouse Gas Protocol, scope 2, location-based.
    """
    return energy * rate_kg_per_kwh


@dataclass(frozen=True)
class HeatAndCold:
    """What a saving does to heating and cooling: kWh of heat that must be made up, kWh of electricity that cooling saves.

    :param given_kwh: heat that the machine no longer gives, from which both follow by the shares and the COP kept here.
    """

    given_kwh: Estimate
    heated_share: float
    cooled_share: float
    coefficient_of_performance: float
    heat_kwh: Estimate
    cooling_kwh: Estimate


def heat_and_cold(
    heat_saved: Estimate, heated_share: float, cooled_share: float, coefficient_of_performance: float
) -> HeatAndCold:
    """What heating and cooling make of heat that a machine no longer gives to its air or water.

    :param heat_saved: kWh a year: watts saved at the line where the motor stands in the stream, else at the shaft.
    :param heated_share: share of the hours in which the medium is being heated, 0 to 1.
    :param cooled_share: share in which it is being cooled. :param coefficient_of_performance: of the cooling.
    :raises OutsideValidity: shares that add up to more than all hours, or a cooling that makes nothing.

    Validity: the saving spread evenly over the hours. Source: energy balance; ASHRAE Handbook, Fundamentals, on fan heat.
    """
    if heated_share + cooled_share > 1 or coefficient_of_performance <= 0:
        raise OutsideValidity(
            say(
                "economy-heat-and-cold",
                heated_share=Number(heated_share, ".0%"),
                cooled_share=Number(cooled_share, ".0%"),
            )
        )
    return HeatAndCold(
        heat_saved,
        heated_share,
        cooled_share,
        coefficient_of_performance,
        heat_saved * heated_share,
        heat_saved * (cooled_share / coefficient_of_performance),
    )


@dataclass(frozen=True)
class PaybackRange:
    """Simple payback in years; ``high`` is ``None`` when the saving may be nothing, and ``value`` when it is none."""

    value: float | None
    low: float | None
    high: float | None


def simple_payback_years(cost: Estimate, yearly_saving: Estimate) -> PaybackRange:
    """Cost over yearly saving, as the 95 % range of a ratio of two uncertain numbers.

    :param cost: what the option costs fitted, in currency.
    :param yearly_saving: saving a year, in the same currency.
    :returns: years. The upper end is open when a saving of nothing lies inside its 95 % interval.

    Validity: normal errors. Source: E. C. Fieller, “Some problems in interval estimation”, J. Roy. Stat. Soc. B 16
    (1954); simple payback by definition.
    """
    c, s = cost.value, yearly_saving.value
    k2 = COVERAGE_95**2
    vc, vs = cost.standard**2, yearly_saving.standard**2
    shared = sum(
        contribution * yearly_saving.contributions.get(name, 0.0) for name, contribution in cost.contributions.items()
    )
    value = c / s if s > 0 else None
    a, b, d = s * s - k2 * vs, s * c - k2 * shared, c * c - k2 * vc
    if s <= 0:
        return PaybackRange(None, _lowest_reachable(cost, yearly_saving), None)
    if a <= 0:
        return PaybackRange(value, _lowest_reachable(cost, yearly_saving), None)
    spread = math.sqrt(max(b * b - a * d, 0.0))
    return PaybackRange(value, max((b - spread) / a, 0.0), (b + spread) / a)


def _lowest_reachable(cost: Estimate, yearly_saving: Estimate) -> float | None:
    best_saving = yearly_saving.value + yearly_saving.uncertainty
    return max(cost.value - cost.uncertainty, 0.0) / best_saving if best_saving > 0 else None


def present_worth_factor(years: float, discount: float, escalation: float) -> float:
    """What one unit of money a year, rising each year, is worth today, Σ (1 + e)^(t−1) ÷ (1 + d)^t.

    :param years: of the saving; a part of a year counts in proportion. :param discount: d a year, a fraction, zero or more.
    :param escalation: e a year, by which the yearly amount rises; the first year's is one.
    :raises OutsideValidity: no years, or a discount rate below zero.

    Validity: amounts at the end of each year. Source: engineering economics textbooks, growing annuity; NIST Handbook 135.
    """
    if years <= 0:
        raise OutsideValidity(say("economy-present-worth-factor-life-years"))
    if discount < 0:
        raise OutsideValidity(say("economy-present-worth-factor-discount-rate"))
    whole = int(years)
    worth = sum((1 + escalation) ** (year - 1) / (1 + discount) ** year for year in range(1, whole + 1))
    return worth + (years - whole) * (1 + escalation) ** whole / (1 + discount) ** (whole + 1)


def discounted_payback_years(
    cost: float, yearly_saving: float, discount: float, escalation: float = 0.0
) -> float | None:
    """Years after which discounted savings have paid the cost; nothing where they never do.

    :param cost: now. :param yearly_saving: of the first year, at its end; those after rise with the price. :param discount: rate a year, a fraction.
    :param escalation: rise of the energy price a year, a fraction.

    With k = (1 + e) ÷ (1 + d) the savings of n years are worth S (1 − kⁿ) ÷ ((1 − k) (1 + d)), as in
    :func:`present_worth_factor`. Source: NIST Handbook 135, discounted
    payback; geometric series.
    """
    if cost <= 0:
        return 0.0
    ratio = (1 + escalation) / (1 + discount)
    if yearly_saving <= 0:
        return None
    if abs(ratio - 1) < SAME_RATE:
        return cost * (1 + discount) / yearly_saving
    left = 1 - cost * (1 - ratio) * (1 + discount) / yearly_saving
    return math.log(left) / math.log(ratio) if left > 0 else None


def net_present_value(cost: Estimate, yearly_saving: Estimate, factor: float) -> Estimate:
    """Present worth of a saving over the years less what it costs today, S A − C, in currency.

    :param factor: A of :func:`present_worth_factor`. Source: as there.
    """
    return yearly_saving * factor - cost


def break_even_hours(cost: Estimate, yearly_saving: Estimate, hours: Estimate) -> PaybackRange:
    """Running hours after which a saving has paid its cost, C ÷ (S ÷ h), as a range.

    :param hours: running hours a year. Source: definition; range as :func:`simple_payback_years`.
    """
    return simple_payback_years(cost, yearly_saving / hours)
