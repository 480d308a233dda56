"""The options beside each other: every duty step solved, the year's energy and money, the saving against keeping it."""

from __future__ import annotations

from dataclasses import dataclass

from modest_rotor.core.estimate import Estimate, exactly
from modest_rotor.core.identify.efficiency import TypicalMotor
from modest_rotor.core.identify.meters import read_by_meter
from modest_rotor.core.options import year_results
from modest_rotor.core.options.contract import Demand, Option, OptionKind, SolvedStep
from modest_rotor.core.options.drive import OnDrive
from modest_rotor.core.options.electronic import Electronic
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.keep import Keep
from modest_rotor.core.options.limits import ComparedStep, limits_of, protected_stop
from modest_rotor.core.options.same_kind import SameKind
from modest_rotor.core.options.step_working import StepWorkings, step_workings
from modest_rotor.core.options.year import Year, year_energy, year_heat
from modest_rotor.core.phrase import Figure, Frozen, figure
from modest_rotor.core.physics.fan import Wheel
from modest_rotor.core.stations.duty import DutyStep, step_hours
from modest_rotor.core.working import Result

OPTIONS: tuple[Option, ...] = (Keep(), SameKind(), Electronic(), OnDrive())
LETTERS = "ABCD"
STOPPED = "withheld: the stop stands first"


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
    saved_emissions: Result
    made_up_heat: Result
    saved_cooling: Result
    net_money: Result
    cost: Figure | None
    limits: tuple[str, ...]
    stop: str | None


class OptionsAnswer(Frozen):
    """All options, or what they wait for."""

    waits: str | None
    options: tuple[OptionAnswer, ...]
    overlap: str | None


@dataclass(frozen=True)
class Solution:
    """One option solved over the year: its steps, its energy and heat or what they wait for, and what it does not do."""

    option: Option
    steps: tuple[SolvedStep, ...]
    energy: Estimate | str
    heat: Estimate | str
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
        return _solution(option, today, limits, found, year)
    steps = option.solve(found, demands, year.duty.part_flow)
    compared = tuple(
        ComparedStep(asked.name or "a step", step, now, _least(found, now, year))
        for asked, step, now in zip(year.steps, steps, today, strict=True)
    )
    stop = protected_stop(compared, year.least_words)
    if stop:
        withheld = tuple(SolvedStep(step.id, note=STOPPED) for step in steps)
        return Solution(option, withheld, STOPPED, STOPPED, (), stop)
    return _solution(option, steps, limits_of(compared, year.least_words), found, year)


def _solution(
    option: Option, steps: tuple[SolvedStep, ...], limits: tuple[str, ...], found: FoundMachine, year: Year
) -> Solution:
    energy, heat = (of(option.kind, steps, found, year) for of in (year_energy, year_heat))
    return Solution(option, steps, energy, heat, limits, None)


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


def _answer(letter: str, solution: Solution, yardstick: Solution, found: FoundMachine, year: Year) -> OptionAnswer:
    option, keeps = solution.option, solution.keeps
    saved, heat_saved = (_less(yardstick.energy, solution.energy), _less(yardstick.heat, solution.heat))
    season = year_results.season(heat_saved, year)
    heat, cold = year_results.heat_results(season, keeps)
    price, waits = year.duty.energy_price, year_results.money_waits(found, year)
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
        energy=year_results.energy_result(option, solution.steps, solution.energy, found, year),
        money=year_results.priced("Energy cost a year", solution.energy, price, waits),
        saved_energy=year_results.saved_energy_result(saved, yardstick.energy, solution.energy, keeps),
        saved_money=year_results.priced("Saved a year", saved, price, waits, keeps),
        payback=year_results.payback_result(saved, price, cost, waits, keeps),
        saved_emissions=year_results.emissions_result(saved, year, keeps),
        made_up_heat=heat,
        saved_cooling=cold,
        net_money=year_results.net_money(saved, season, year, waits, keeps),
        cost=figure("cost", read_by_meter(cost, "cost", "cost"), "estimated") if cost else None,
        limits=solution.limits,
        stop=solution.stop,
    )


def _less(today: Estimate | str, then: Estimate | str) -> Estimate | str:
    """Today's less the option's; or the words that say what either waits for, the option's first."""
    if isinstance(then, str):
        return then
    return today if isinstance(today, str) else today - then


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
    words = f"{best} takes less energy than {_listed(clear)}, by more than the errors that they do not share"
    return f"{words}; it overlaps with {_listed(near)}." if near else f"{words}."


def _within_band(difference: Estimate) -> bool:
    return abs(difference.value) <= difference.band


def _listed(letters: list[str]) -> str:
    return " and ".join(sorted(letters))
