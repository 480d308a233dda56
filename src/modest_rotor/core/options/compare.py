"""The options beside each other: every duty step solved, the year's energy and money, the saving against keeping it."""

from __future__ import annotations

from dataclasses import dataclass

from modest_rotor.core.economy import energy_kwh, simple_payback_years
from modest_rotor.core.entry import Entry
from modest_rotor.core.estimate import Estimate, exactly
from modest_rotor.core.identify.efficiency import TypicalMotor
from modest_rotor.core.identify.meters import read_by_meter
from modest_rotor.core.options.contract import Demand, Option, OptionKind, SolvedStep
from modest_rotor.core.options.drive import OnDrive
from modest_rotor.core.options.electronic import Electronic, standby_power
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.keep import Keep
from modest_rotor.core.options.limits import ComparedStep, limits_of, protected_stop
from modest_rotor.core.options.same_kind import SameKind
from modest_rotor.core.options.step_working import StepWorkings, step_workings
from modest_rotor.core.phrase import Figure, Frozen, figure
from modest_rotor.core.physics.fan import Wheel
from modest_rotor.core.stations.duty import HOURS_IN_A_YEAR, Duty, DutyAnswer, DutyStep, step_hours
from modest_rotor.core.stations.options import OptionCosts
from modest_rotor.core.working import Ingredient, Result, given, result, waiting

OPTIONS: tuple[Option, ...] = (Keep(), SameKind(), Electronic(), OnDrive())
LETTERS = "ABCD"
FULL_STEP = DutyStep(id="full", name="full flow")
STOPPED = "withheld: the stop stands first"
GENERIC = (
    "Generic curve of the kind of wheel and generic motor losses: our judgement, no source; affinity laws: AMCA 201."
)


class StepAnswer(Frozen):
    """One duty step of one option."""

    id: str
    name: str
    hours: Figure | None
    flow: Figure | None
    pressure: Figure | None
    speed: Figure | None
    shaft_power: Figure | None
    input_power: Figure | None
    note: str
    workings: StepWorkings | None


class OptionAnswer(Frozen):
    """One option: its steps, and its year."""

    letter: str
    kind: OptionKind
    title: str
    series: str
    steps: tuple[StepAnswer, ...]
    energy: Result
    money: Result
    saved_energy: Result
    saved_money: Result
    payback: Result
    cost: Figure | None
    limits: tuple[str, ...]
    stop: str | None


class OptionsAnswer(Frozen):
    """All options, or what they wait for."""

    waits: str | None
    options: tuple[OptionAnswer, ...]
    overlap: str | None


@dataclass(frozen=True)
class Year:
    """What turns watts into money: the steps, the price, the costs, and what protects the flow."""

    duty: Duty
    answer: DutyAnswer
    costs: OptionCosts
    currency: str | None
    least_flow_m3s: float | None
    protected: bool
    dead: bool = False

    @property
    def steps(self) -> tuple[DutyStep, ...]:
        """The duty steps, or full flow alone while none is typed."""
        return self.duty.steps or (FULL_STEP,)

    @property
    def total_hours(self) -> float | None:
        """Hours of all steps, when they make a possible year."""
        return self.answer.hours.figure.value if self.answer.hours.figure else None

    @property
    def least_words(self) -> str:
        """How the least flow of a protected duty is called."""
        return "the flow found" if self.least_flow_m3s is None else "the documented least"

    def cost(self, kind: OptionKind) -> Entry | None:
        """What an option costs fitted."""
        return {
            OptionKind.SAME_KIND: self.costs.same_kind_cost,
            OptionKind.ELECTRONIC: self.costs.electronic_cost,
            OptionKind.DRIVE: self.costs.drive_cost,
        }.get(kind)


@dataclass(frozen=True)
class Solution:
    """One option solved over the year: its steps, its energy or what that waits for, and what it does not do."""

    option: Option
    steps: tuple[SolvedStep, ...]
    energy: Estimate | str
    limits: tuple[str, ...]
    stop: str | None

    @property
    def keeps(self) -> bool:
        """Whether this is the yardstick."""
        return self.option.kind is OptionKind.KEEP


def compare(found: FoundMachine | str, year: Year) -> OptionsAnswer:
    """Solve every option at every step, and set the years beside each other."""
    if isinstance(found, str):
        return OptionsAnswer(waits=found, options=(), overlap=None)
    demands = _demands(found, year)
    today = Keep().solve(found, demands, year.duty.part_flow)
    solutions = tuple(_solve(option, found, demands, today, year) for option in OPTIONS)
    answers = tuple(
        _answer(letter, solution, solutions[0], found, year)
        for letter, solution in zip(LETTERS, solutions, strict=True)
    )
    return OptionsAnswer(waits=None, options=answers, overlap=_overlap(solutions))


def _solve(
    option: Option, found: FoundMachine, demands: tuple[Demand, ...], today: tuple[SolvedStep, ...], year: Year
) -> Solution:
    if option.kind is OptionKind.KEEP:
        limits = ("It is dead: it stands here as the yardstick only.",) if year.dead else ()
        return Solution(option, today, _energy(option.kind, today, year), limits, None)
    steps = option.solve(found, demands, year.duty.part_flow)
    compared = tuple(
        ComparedStep(asked.name or "a step", step, now, _least(found, now, year))
        for asked, step, now in zip(year.steps, steps, today, strict=True)
    )
    stop = protected_stop(compared, year.least_words)
    if stop:
        withheld = tuple(SolvedStep(step.id, note=STOPPED) for step in steps)
        return Solution(option, withheld, STOPPED, (), stop)
    return Solution(option, steps, _energy(option.kind, steps, year), limits_of(compared, year.least_words), None)


def _least(found: FoundMachine, today: SolvedStep, year: Year) -> Estimate | None:
    """The least flow allowed at a step: as documented, else as found there; nothing where the duty is not protected."""
    if not year.protected:
        return None
    if year.least_flow_m3s is not None and found.flow_is_measured:
        return exactly(year.least_flow_m3s)
    return today.flow


def _demands(found: FoundMachine, year: Year) -> tuple[Demand, ...]:
    bare = tuple(Demand(step.id, _asked_share(step)) for step in year.steps)
    if not year.protected:
        return bare
    today = Keep().solve(found, bare, year.duty.part_flow)
    return tuple(
        Demand(demand.id, demand.share, _floor(found, step, year)) for demand, step in zip(bare, today, strict=True)
    )


def _asked_share(step: DutyStep) -> float:
    return step.flow_share.si if step.flow_share else 1.0


def _floor(found: FoundMachine, today: SolvedStep, year: Year) -> float:
    if year.least_flow_m3s is not None and found.flow_is_measured:
        return year.least_flow_m3s / found.flow.value
    return today.flow.value / found.flow.value if today.flow else 1.0


def _energy(kind: OptionKind, steps: tuple[SolvedStep, ...], year: Year) -> Estimate | str:
    if year.total_hours is None:
        return year.answer.hours.waits[0] if year.answer.hours.waits else "waits for hours"  # type: ignore[return-value]
    pairs = []
    for asked, step in zip(year.steps, steps, strict=True):
        hours = step_hours(asked)
        named = f"“{asked.name}”" if asked.name else "a step"
        if hours is None or asked.flow_share is None:
            return f"waits for {'hours' if hours is None else 'share of flow'} of {named}"
        if step.input_power is None:
            return step.note or f"waits for the watts of {named}"
        pairs.append((step.input_power, hours))
    total = energy_kwh(tuple(pairs))
    if kind is OptionKind.ELECTRONIC:
        total = total + standby_power() * (max(HOURS_IN_A_YEAR - year.total_hours, 0.0) / 1000)
    return total


def _answer(letter: str, solution: Solution, yardstick: Solution, found: FoundMachine, year: Year) -> OptionAnswer:
    option, energy, today = solution.option, solution.energy, yardstick.energy
    saved = (
        today - energy if isinstance(energy, Estimate) and isinstance(today, Estimate) else _first_words(energy, today)
    )
    price = year.duty.energy_price
    money_wait = _money_waits(found, year)
    cost = year.cost(option.kind)
    return OptionAnswer(
        letter=letter,
        kind=option.kind,
        title=option.title,
        series=option.series,
        steps=tuple(
            _step(asked, step, found, option.motor(found))
            for asked, step in zip(year.steps, solution.steps, strict=True)
        ),
        energy=_energy_result(option, solution.steps, energy, year),
        money=_priced("Energy cost a year", energy, price, money_wait),
        saved_energy=_saved_energy(saved, today, energy, solution.keeps),
        saved_money=_priced("Saved a year", saved, price, money_wait, solution.keeps),
        payback=_payback(saved, price, cost, money_wait, solution.keeps),
        cost=figure("cost", read_by_meter(cost, "cost", "cost"), "estimated") if cost else None,
        limits=solution.limits,
        stop=solution.stop,
    )


def _first_words(*values: Estimate | str) -> str:
    return next(value for value in values if isinstance(value, str))


def flow_quantity(found: FoundMachine) -> str:
    """The quantity in which flows of this machine are told."""
    if not found.flow_is_measured:
        return "relative_flow"
    return "water_flow" if found.wheel is Wheel.PUMP else "airflow"


def pressure_quantity(found: FoundMachine) -> str:
    """The quantity in which pressures of this machine are told."""
    if not found.pressure_is_measured:
        return "relative_pressure"
    return "pump_differential" if found.wheel is Wheel.PUMP else "pressure"


def _step(asked: DutyStep, step: SolvedStep, found: FoundMachine, motor: TypicalMotor | None) -> StepAnswer:
    def told(quantity: str, value: Estimate | None) -> Figure | None:
        return figure(quantity, value, "estimated") if value else None

    hours = step_hours(asked)
    return StepAnswer(
        id=asked.id,
        name=asked.name,
        hours=figure("hours", hours, "estimated") if hours else None,
        flow=told(flow_quantity(found), step.flow),
        pressure=told(pressure_quantity(found), step.pressure),
        speed=told("speed", step.speed),
        shaft_power=told("shaft_power", step.shaft_power),
        input_power=told("input_power", step.input_power),
        note=step.note,
        workings=step_workings(step, _asked_share(asked), found, motor, flow_quantity(found), pressure_quantity(found)),
    )


def _energy_result(option: Option, steps: tuple[SolvedStep, ...], energy: Estimate | str, year: Year) -> Result:
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
    if option.kind is OptionKind.ELECTRONIC and year.total_hours is not None:
        off = max(HOURS_IN_A_YEAR - year.total_hours, 0.0)
        ingredients.append(given("W₀", "standby power of the electronics", "input_power", standby_power(), "assumed"))
        ingredients.append(given("h₀", "hours off, supply left on", "hours", off, "worked out"))
        remarks.append("The electronics are taken as staying on the supply while the fan is off.")
    return result("Energy a year", "energy", energy, "E = Σ W h ÷ 1000", tuple(ingredients), GENERIC, tuple(remarks))


def _saved_energy(saved: Estimate | str, today: Estimate | str, energy: Estimate | str, keeps: bool) -> Result:
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


def _money_waits(found: FoundMachine, year: Year) -> str | None:
    if not found.flow_is_measured:
        return "money waits for a measured flow: without it the axes are relative"
    if year.duty.energy_price is None:
        return "waits for an energy price"
    return None


def _priced(
    label: str, energy: Estimate | str, price: Entry | None, money_wait: str | None, keeps: bool = False
) -> Result:
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


def _payback(
    saved: Estimate | str, price: Entry | None, cost: Entry | None, money_wait: str | None, keeps: bool
) -> Result:
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


def _overlap(solutions: tuple[Solution, ...]) -> str | None:
    """One sentence on whether the saving chooses among the replacements: which takes least, and which it cannot be told from."""
    known = [
        (letter, solution.energy)
        for letter, solution in zip(LETTERS, solutions, strict=True)
        if not solution.keeps and isinstance(solution.energy, Estimate)
    ]
    if len(known) < 2:
        return None
    best, least = min(known, key=lambda pair: pair[1].value)
    near = [letter for letter, energy in known if letter != best and _within_band(energy - least)]
    clear = [letter for letter, energy in known if letter != best and not _within_band(energy - least)]
    if not clear:
        return f"{_listed([best, *near])} overlap: the saving does not choose between them."
    words = f"{best} takes less energy than {_listed(clear)}, beyond their bands"
    return f"{words}; it overlaps with {_listed(near)}." if near else f"{words}."


def _within_band(difference: Estimate) -> bool:
    return abs(difference.value) <= difference.band


def _listed(letters: list[str]) -> str:
    return " and ".join(sorted(letters))
