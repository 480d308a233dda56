"""The year of an option as results with their workings: energy, saving, money, payback, emissions, heat and cold."""

from __future__ import annotations

from modest_rotor.core.economy import HeatAndCold, emissions_kg, heat_and_cold
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import Estimate, exactly
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.year import Solved, Year, inrush_w, standby_of, starts_kwh
from modest_rotor.core.outcome import Absent, Waiting, Withheld
from modest_rotor.core.say import Number, say, tell
from modest_rotor.core.stations.duty import HOURS_IN_A_YEAR
from modest_rotor.core.working import Ingredient, Result, given, not_known, result, waiting, withheld

GENERIC = say("year-results-generic")
BALANCE = say("year-results-balance")
THE_BASE = Withheld(say("year-results-the-base"))
"""Why the option against which the others are held saves nothing."""


def _step_ingredients(solved: Solved, year: Year) -> list[Ingredient]:
    ingredients: list[Ingredient] = []
    for asked, hours, step in zip(year.steps, year.hours_of_steps, solved.steps, strict=True):
        if step.input_power and hours:
            ingredients.append(
                given(
                    "W",
                    say("year-results-energy-result-input-power", asked=asked.name or say("term-step")),
                    "input_power",
                    step.input_power,
                    "estimated",
                )
            )
            ingredients.append(
                given(
                    "h",
                    say("year-results-energy-result-hours", asked=asked.name or say("term-step")),
                    "hours",
                    hours,
                    "estimated",
                    say("origin-typed"),
                )
            )
    return ingredients


def energy_result(solved: Solved, energy: Estimate | Absent, found: FoundMachine, year: Year) -> Result:
    """Energy of a year with its working.

    :param energy: kWh a year. Source: definition, Σ W h ÷ 1000.
    """
    if isinstance(energy, Absent):
        return not_known(say("year-results-energy-result-energy-year"), energy)
    ingredients = _step_ingredients(solved, year)
    remarks = [say("year-results-energy-result-each-step")]
    off = max(HOURS_IN_A_YEAR - (year.total_hours or HOURS_IN_A_YEAR), 0.0)
    if year.runs_always:
        ingredients.append(given("h₀", say("year-results-energy-result-hours-between"), "hours", off, "worked-out"))
        remarks.append(say("year-results-energy-result-runs-between"))
    elif solved.option.traits.electronics and year.total_hours is not None:
        ingredients.append(
            given(
                "W₀",
                say("year-results-energy-result-standby-power"),
                "input_power",
                standby_of(solved, found),
                "assumed",
            )
        )
        ingredients.append(given("h₀", say("year-results-energy-result-hours-off"), "hours", off, "worked-out"))
        remarks.append(say("year-results-energy-result-electronics-taken"))
    if year.machines > 1:
        ingredients.append(
            given(
                "N",
                say("year-results-energy-result-machines-side"),
                "machines",
                float(year.machines),
                "measured",
                say("word-duty"),
            )
        )
        remarks.append(say("year-results-energy-result-all-machines", machines=year.machines))
    starts = exactly(0.0) if year.runs_always else starts_kwh(solved, found, year)
    if starts.value:
        ingredients += _start_ingredients(found, year)
        ingredients.append(
            given(
                "E_s", say("year-results-energy-result-energy-starts"), "energy", starts, "estimated", say("word-duty")
            )
        )
        share = 100 * starts.value / energy.value
        remarks.append(say("year-results-energy-result-starts-counted", share=Number(share, ".2g")))
    formula = "E = Σ W h ÷ 1000 + E_s" if starts.value else "E = Σ W h ÷ 1000"
    return result(
        say("year-results-energy-result-energy-year"),
        "energy",
        energy,
        formula,
        tuple(ingredients),
        GENERIC,
        tuple(remarks),
    )


def start_result(solved: Solved, found: FoundMachine, year: Year, stopped: bool) -> Result:
    """What a year's starts take, by themselves: worked out, so that nobody need argue about them.

    :param stopped: whether a stop withholds the option. :returns: kWh a year. Source: locked-rotor watts over the starting
    time, textbooks.
    """
    label = say("label-energy-of-the-starts")
    if stopped:
        return withheld(label, tell("term-withheld-the-stop-stands-first"))
    if not year.starts:
        return waiting(label, tell("year-results-start-result-waits-starts"))
    energy = starts_kwh(solved, found, year) * float(year.machines)
    if not energy.value:
        return waiting(label, tell("year-results-start-result-waits-fitted"))
    gently = (say("year-results-start-result-brought-up"),) if solved.option.traits.electronics else ()
    rows = tuple(_start_ingredients(found, year))
    return result(label, "energy", energy, "W_s t_s n_s ÷ 3,600,000", rows, say("word-definition"), gently)


def _start_ingredients(found: FoundMachine, year: Year) -> list[Ingredient]:
    """What the energy of the starts is worked from."""
    watts, seconds = inrush_w(found, year), year.duty.starting_time
    rows = [given("n_s", say("term-starts-a-year"), "starts", year.starts, "estimated", say("word-duty"))]
    if watts is not None:
        rows.append(given("W_s", say("year-results-start-ingredients-watts-today"), "input_power", watts, "estimated"))
    if seconds is not None:
        rows.append(
            given(
                "t_s",
                say("year-results-start-ingredients-seconds-start"),
                "starting_time",
                seconds.si,
                "estimated",
                say("word-duty"),
            )
        )
    return rows


def saved_energy_result(
    saved: Estimate | Absent, base: Estimate | Absent, energy: Estimate | Absent, keeps: bool, named: str
) -> Result:
    """The saving against the base, with its working; ``named`` is the base in words.

    :param saved: kWh a year. :param base: of the base. :param energy: of the option. :param keeps: whether it is the base
    itself. Source: definition.
    """
    for one in (saved, THE_BASE if keeps else saved, base, energy):
        if isinstance(one, Absent):
            return not_known(say("year-results-saved-energy-result-energy-saved"), one)
    assert isinstance(saved, Estimate) and isinstance(base, Estimate) and isinstance(energy, Estimate)
    ingredients = (
        given("E_0", say("year-results-saved-energy-result-energy", named=named), "energy", base, "worked-out"),
        given("E", say("year-results-saved-energy-result-energy-option"), "energy", energy, "worked-out"),
    )
    remarks = (
        say("year-results-saved-energy-result-errors-both"),
        say("year-results-saved-energy-result-baseline-heat", named=named),
    )
    return result(
        say("year-results-saved-energy-result-energy-saved"), "energy", saved, "E_0 − E", ingredients, GENERIC, remarks
    )


def money_waits(found: FoundMachine, year: Year) -> Waiting | None:
    """What money waits for, if it does."""
    if not found.flow_is_measured:
        return Waiting(say("year-results-money-waits"))
    return year.price_waits if year.price is None else None


def priced(
    label: str, energy: Estimate | Absent, price: float | None, money_wait: Absent | None, keeps: bool = False
) -> Result:
    """An energy in money, with its working.

    :param energy: kWh a year. :param price: money a kWh. :param money_wait: why money is not told yet. Source: definition.
    """
    for why in (THE_BASE if keeps else None, energy, money_wait):
        if isinstance(why, Absent):
            return not_known(label, why)
    if price is None or isinstance(energy, Absent):
        return waiting(label, tell("term-waits-for-an-energy-price"))
    ingredients = (
        given("E", say("term-energy"), "energy", energy, "worked-out"),
        given("c", say("term-energy-price"), "energy_price", price, "typed", say("word-duty")),
    )
    return result(label, "money", energy * price, "E × c", ingredients, say("word-arithmetic"))


def emissions_result(saved: Estimate | Absent, year: Year, keeps: bool) -> Result:
    """Emissions that go with the saving.

    :param saved: kWh a year. :param year: kg a kWh. :param keeps: whether this is the base. Source: definition; the rate as typed.
    """
    label, rate = say("year-results-emissions-result-emissions-saved"), year.duty.emission_rate
    if keeps or isinstance(saved, Absent):
        return not_known(label, THE_BASE if keeps or isinstance(saved, Estimate) else saved)
    if rate is None:
        return waiting(label, tell("year-results-emissions-result-waits-emissions"))
    ingredients = (
        given("E", say("term-energy-saved"), "energy", saved, "worked-out"),
        given("e", say("term-emissions-of-the-supply"), "emission_rate", rate.si, "typed", say("word-duty")),
    )
    return result(
        label,
        "emissions",
        emissions_kg(saved, rate.si),
        "E × e",
        ingredients,
        say("year-results-emissions-result-definition-ghg"),
    )


def season(heat_saved: Estimate | Absent, year: Year) -> HeatAndCold | Absent:
    """What heating and cooling make of the saving, or what that waits for.

    :param heat_saved: kWh a year that the machine no longer gives to the air. :param year: shares heated and cooled, prices.

    Source: conservation of energy; efficiency of heating and cooling as typed.
    """
    duty = year.duty
    if isinstance(heat_saved, Absent):
        return heat_saved
    cold_room = duty.refrigerated == "yes"
    if duty.heated_share is None and duty.cooled_share is None and not cold_room:
        return Waiting(say("year-results-season"))
    heated, cooled = (share.si if share else 0.0 for share in (duty.heated_share, duty.cooled_share))
    if cold_room and duty.cooled_share is None:
        cooled = 1.0 - heated  # all the hours it runs
    cop = duty.cooling_performance.si if duty.cooling_performance else USUAL_COP
    try:
        return heat_and_cold(heat_saved, heated, cooled, cop)
    except OutsideValidity as refusal:
        return Withheld(refusal.sentence)


USUAL_COP = 3.0
"""Cold made for each unit of electricity where nothing is said. Common practice."""


def heat_results(found: HeatAndCold | Absent, keeps: bool) -> tuple[Result, Result]:
    """Heat to be made up and cooling electricity saved, each with its working.

    :param found: kWh a year. :param keeps: whether it is the base itself. Source: conservation of energy; the share that
    counts is the season's.
    """
    labels = (say("year-results-heat-results-heat-made"), say("year-results-heat-results-cooling-saved"))
    if keeps or isinstance(found, Absent):
        why = THE_BASE if keeps or isinstance(found, HeatAndCold) else found
        return not_known(labels[0], why), not_known(labels[1], why)
    remark = (say("year-results-heat-results-watts-machine"),)
    no_longer = given("Q_0", say("year-results-heat-results-heat-longer"), "energy", found.given_kwh, "worked-out")
    heated = given(
        "h",
        say("year-results-heat-results-hours-heated"),
        "share_of_hours",
        found.heated_share,
        "typed",
        say("word-duty"),
    )
    cooled = given(
        "k",
        say("year-results-heat-results-hours-cooled"),
        "share_of_hours",
        found.cooled_share,
        "typed",
        say("word-duty"),
    )
    cop = given(
        "COP",
        say("year-results-heat-results-cold-per"),
        "cooling_performance",
        found.coefficient_of_performance,
        "typed",
        say("word-duty"),
    )
    heat = result(labels[0], "energy", found.heat_kwh, "Q = Q_0 h", (no_longer, heated), BALANCE, remark)
    cold = result(
        labels[1], "energy", found.cooling_kwh, "E_c = Q_0 k ÷ COP", (no_longer, cooled, cop), BALANCE, remark
    )
    return heat, cold


def net_money(
    saved: Estimate | Absent, found: HeatAndCold | Absent, year: Year, money_wait: Absent | None, keeps: bool
) -> Result:
    """The yearly saving in money with heat and cold counted.

    :param saved: kWh a year. :param found: heat and cold of it. :param year: prices. :param money_wait: what money waits for. :param keeps: whether this is the base.

    Source: definition.
    """
    label, price, heat_price = say("year-results-net-money-saved-year"), year.price, year.heat_price
    for why in (THE_BASE if keeps else None, saved, money_wait, found):
        if isinstance(why, Absent):
            return not_known(label, why)
    assert isinstance(saved, Estimate) and isinstance(found, HeatAndCold) and price is not None
    if heat_price is None and found.heat_kwh.value:
        return waiting(label, tell("year-results-net-money-waits-what"))
    per_heat = heat_price or 0.0
    worth = saved * price + found.cooling_kwh * price - found.heat_kwh * per_heat
    ingredients = (
        given("E", say("term-energy-saved"), "energy", saved, "worked-out"),
        given("E_c", say("year-results-net-money-cooling-saved"), "energy", found.cooling_kwh, "worked-out"),
        given("Q", say("year-results-net-money-heat-made"), "energy", found.heat_kwh, "worked-out"),
        given("c", say("term-energy-price"), "energy_price", price, "typed", say("word-duty")),
        given("c_h", say("year-results-net-money-price-heat"), "energy_price", per_heat, "typed", say("word-duty")),
    )
    return result(label, "money", worth, "(E + E_c) c − Q c_h", ingredients, BALANCE)
