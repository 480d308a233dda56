"""The year of an option as results with their workings: energy, saving, money, payback, emissions, heat and cold."""

from __future__ import annotations

from modest_rotor.core.economy import HeatAndCold, emissions_kg, heat_and_cold, simple_payback_years
from modest_rotor.core.entry import Entry
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import Estimate
from modest_rotor.core.identify.meters import read_by_meter
from modest_rotor.core.options.contract import Option, SolvedStep
from modest_rotor.core.options.electronic import standby_power
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.year import ELECTRONIC_KINDS, Year, starts_kwh
from modest_rotor.core.stations.duty import HOURS_IN_A_YEAR, step_hours
from modest_rotor.core.working import Ingredient, Result, given, result, waiting

GENERIC = (
    "Generic curve of the kind of wheel and generic motor losses: our judgement, no source; affinity laws: AMCA 201."
)
BALANCE = "Energy balance."


def energy_result(
    option: Option, steps: tuple[SolvedStep, ...], energy: Estimate | str, found: FoundMachine, year: Year
) -> Result:
    """Energy of a year with its working."""
    if isinstance(energy, str):
        return waiting("Energy a year", energy)
    ingredients: list[Ingredient] = []
    for asked, step in zip(year.steps, steps, strict=True):
        hours = step_hours(asked)
        if step.input_power and hours:
            ingredients.append(
                given("W", f"input power, {asked.name or 'step'}", "input_power", step.input_power, "estimated")
            )
            ingredients.append(given("h", f"hours, {asked.name or 'step'}", "hours", hours, "estimated", "typed"))
    remarks = ["Each step is solved by itself: the cube of the mean flow is not the mean of the cubes."]
    if option.kind in ELECTRONIC_KINDS and year.total_hours is not None:
        off = max(HOURS_IN_A_YEAR - year.total_hours, 0.0)
        ingredients.append(given("W₀", "standby power of the electronics", "input_power", standby_power(), "assumed"))
        ingredients.append(given("h₀", "hours off, supply left on", "hours", off, "worked out"))
        remarks.append("The electronics are taken as staying on the supply while the fan is off.")
    starts = starts_kwh(option.kind, steps, found, year)
    if starts.value:
        ingredients.append(given("E_s", "energy of the starts", "energy", starts, "estimated", "Duty"))
        share = 100 * starts.value / energy.value
        remarks.append(f"The starts are {share:.2g} % of it: the hours decide, not the starts.")
    formula = "E = Σ W h ÷ 1000 + E_s" if starts.value else "E = Σ W h ÷ 1000"
    return result("Energy a year", "energy", energy, formula, tuple(ingredients), GENERIC, tuple(remarks))


def saved_energy_result(saved: Estimate | str, today: Estimate | str, energy: Estimate | str, keeps: bool) -> Result:
    """The saving against keeping it, with its working."""
    if isinstance(saved, str):
        return waiting("Energy saved", saved)
    if keeps:
        return waiting("Energy saved", "the yardstick")
    ingredients = (
        given("E_A", "energy of A, kept as found", "energy", today, "worked out"),  # type: ignore[arg-type]
        given("E", "energy of this option", "energy", energy, "worked out"),  # type: ignore[arg-type]
    )
    remarks = (
        "Errors that both years share (wattmeter, hours, the machine's curve) fall out of the difference.",
        "The yardstick is the machine as found. Heat given to the air or water is not in the saving.",
    )
    return result("Energy saved", "energy", saved, "E_A − E", ingredients, GENERIC, remarks)


def money_waits(found: FoundMachine, year: Year) -> str | None:
    """What money waits for, if it does."""
    if not found.flow_is_measured:
        return "money waits for a measured flow: without it the axes are relative"
    if year.duty.energy_price is None:
        return "waits for an energy price"
    return None


def priced(
    label: str, energy: Estimate | str, price: Entry | None, money_wait: str | None, keeps: bool = False
) -> Result:
    """An energy in money, with its working."""
    if keeps:
        return waiting(label, "the yardstick")
    if isinstance(energy, str):
        return waiting(label, energy)
    if money_wait or price is None:
        return waiting(label, money_wait or "waits for an energy price")
    ingredients = (
        given("E", "energy", "energy", energy, "worked out"),
        given("c", "energy price", "energy_price", price.si, "typed", "Duty"),
    )
    return result(label, "money", energy * price.si, "E × c", ingredients, "Arithmetic.")


def payback_result(
    saved: Estimate | str, price: Entry | None, cost: Entry | None, money_wait: str | None, keeps: bool
) -> Result:
    """Cost over yearly saving, with its range."""
    label = "Simple payback"
    if keeps:
        return waiting(label, "the yardstick")
    if isinstance(saved, str):
        return waiting(label, saved)
    if money_wait or price is None:
        return waiting(label, money_wait or "waits for an energy price")
    if cost is None:
        return waiting(label, "waits for what it costs fitted")
    spent, yearly = read_by_meter(cost, "cost", "cost"), saved * price.si
    years = simple_payback_years(spent, yearly)
    if years.value is None or (years.high is None and years.low is None):
        return waiting(label, "never: no saving is expected")
    ingredients = (
        given("C", "cost fitted", "cost", spent, "estimated", "typed, within 10 %"),
        given("S", "saved a year", "money", yearly, "worked out"),
    )
    source = "Definition; range of a ratio: Fieller, J. Roy. Stat. Soc. B 16 (1954)."
    remarks = (
        ("A saving of nothing lies inside the band, so the payback has no upper end.",) if years.high is None else ()
    )
    worked = result(label, "payback", years.value, "C ÷ S", ingredients, source, remarks)
    assert worked.figure is not None
    return worked.model_copy(update={"figure": worked.figure.model_copy(update={"low": years.low, "high": years.high})})


def emissions_result(saved: Estimate | str, year: Year, keeps: bool) -> Result:
    """Emissions that go with the saving."""
    label, rate = "Emissions saved", year.duty.emission_rate
    if keeps or isinstance(saved, str):
        return waiting(label, "the yardstick" if keeps else str(saved))
    if rate is None:
        return waiting(label, "waits for the emissions of the supply (on Duty)")
    ingredients = (
        given("E", "energy saved", "energy", saved, "worked out"),
        given("e", "emissions of the supply", "emission_rate", rate.si, "typed", "Duty"),
    )
    return result(
        label, "emissions", emissions_kg(saved, rate.si), "E × e", ingredients, "Definition; GHG Protocol, scope 2."
    )


def season(heat_saved: Estimate | str, year: Year) -> HeatAndCold | str:
    """What heating and cooling make of the saving, or what that waits for."""
    duty = year.duty
    if isinstance(heat_saved, str):
        return heat_saved
    if duty.heated_share is None and duty.cooled_share is None:
        return "waits for the share of hours that is heated or cooled (on Duty)"
    heated, cooled = (share.si if share else 0.0 for share in (duty.heated_share, duty.cooled_share))
    cop = duty.cooling_performance.si if duty.cooling_performance else USUAL_COP
    try:
        return heat_and_cold(heat_saved, heated, cooled, cop)
    except OutsideValidity as refusal:
        return refusal.sentence


USUAL_COP = 3.0
"""Cold made for each unit of electricity where nothing is said. Common practice."""


def heat_results(found: HeatAndCold | str, keeps: bool) -> tuple[Result, Result]:
    """Heat to be made up and cooling electricity saved, each with its working."""
    labels = ("Heat to be made up", "Cooling saved as well")
    if keeps or isinstance(found, str):
        words = "the yardstick" if keeps else str(found)
        return waiting(labels[0], words), waiting(labels[1], words)
    remark = ("Watts that the machine no longer takes no longer warm what it moves.",)
    no_longer = given("Q_0", "heat no longer given", "energy", found.given_kwh, "worked out")
    heated = given("h", "hours in which it is heated", "share_of_hours", found.heated_share, "typed", "Duty")
    cooled = given("k", "hours in which it is cooled", "share_of_hours", found.cooled_share, "typed", "Duty")
    cop = given("COP", "cold per electricity", "cooling_performance", found.coefficient_of_performance, "typed", "Duty")
    heat = result(labels[0], "energy", found.heat_kwh, "Q = Q_0 h", (no_longer, heated), BALANCE, remark)
    cold = result(
        labels[1], "energy", found.cooling_kwh, "E_c = Q_0 k ÷ COP", (no_longer, cooled, cop), BALANCE, remark
    )
    return heat, cold


def net_money(
    saved: Estimate | str, found: HeatAndCold | str, year: Year, money_wait: str | None, keeps: bool
) -> Result:
    """The yearly saving in money with heat and cold counted."""
    label, price, heat_price = "Saved a year, heat and cold counted", year.duty.energy_price, year.duty.heat_price
    if keeps:
        return waiting(label, "the yardstick")
    for words in (saved, money_wait, found):
        if isinstance(words, str):
            return waiting(label, words)
    assert isinstance(saved, Estimate) and isinstance(found, HeatAndCold) and price is not None
    if heat_price is None and found.heat_kwh.value:
        return waiting(label, "waits for what a kilowatt-hour of heat costs (on Duty)")
    per_heat = heat_price.si if heat_price else 0.0
    worth = saved * price.si + found.cooling_kwh * price.si - found.heat_kwh * per_heat
    ingredients = (
        given("E", "energy saved", "energy", saved, "worked out"),
        given("E_c", "cooling saved as well", "energy", found.cooling_kwh, "worked out"),
        given("Q", "heat to be made up", "energy", found.heat_kwh, "worked out"),
        given("c", "energy price", "energy_price", price.si, "typed", "Duty"),
        given("c_h", "price of heat", "energy_price", per_heat, "typed", "Duty"),
    )
    return result(label, "money", worth, "(E + E_c) c − Q c_h", ingredients, BALANCE)
