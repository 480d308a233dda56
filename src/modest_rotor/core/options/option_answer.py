"""An option as it is told: its year against the repaired machine, its money, what moves the answer."""

from __future__ import annotations

from dataclasses import dataclass, field

from modest_rotor.core.estimate import Estimate
from modest_rotor.core.identify.efficiency import TypicalMotor
from modest_rotor.core.memo import Keeper
from modest_rotor.core.options import money_results, year_results
from modest_rotor.core.options.answer_steps import step_answer
from modest_rotor.core.options.answers import OptionAnswer, StepAnswer
from modest_rotor.core.options.checks.place import FitCheck, Fits
from modest_rotor.core.options.contract import Demand, OptionKind, SolvedStep
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.rating import Rating
from modest_rotor.core.options.sensitivities import sensitivities
from modest_rotor.core.options.year import Solved, Year, cost_of, otherwise_kwh
from modest_rotor.core.outcome import Absent
from modest_rotor.core.phrase import Phrase, figure
from modest_rotor.core.say import say
from modest_rotor.core.stations.options import Candidate
from modest_rotor.core.working import Result, not_known, result

PUT_RIGHT = say("option-answer-put-right")
NEW_SAME_KIND = say("option-answer-new-same-kind")


@dataclass(frozen=True)
class Reckoned:
    """One option solved over the year: its energy and heat or what they wait for, and whether it may be fitted."""

    solved: Solved
    energy: Estimate | Absent
    heat: Estimate | Absent
    checks: tuple[FitCheck, ...]
    fits: Fits
    limits: tuple[str, ...]
    stop: str | None
    upheld: tuple[str, ...] = ()

    @property
    def keeps(self) -> bool:
        """Whether this is the baseline."""
        return self.solved.candidate.kind is OptionKind.KEEP


@dataclass(frozen=True)
class Comparison:
    """What every option is held against, at the demands of its year.

    :param kept: the repaired machine, at its own points. :param base: what savings and costs are held against: the machine put
        right as well, or, of a dead motor, which no one can keep, a new one of the same kind.
    """

    kept: Reckoned
    base: Reckoned
    demands: tuple[Demand, ...]
    machine: FoundMachine
    year: Year
    keep: Keeper = field(default_factory=Keeper)
    workings: bool = False

    @property
    def dead(self) -> bool:
        """Whether a new motor of the same kind is the base, since the old one cannot be kept."""
        return self.base is not self.kept

    @property
    def named(self) -> str:
        """The base in words."""
        return NEW_SAME_KIND if self.dead else PUT_RIGHT


def extra_cost(one: Reckoned, against: Comparison) -> Estimate | None:
    """What an option costs fitted, money; of a dead motor, what it costs more than the base. Nothing while a price is missing.

    :param one: the option. :param against: whether the motor is dead, and the base. Source: definition.
    """
    cost = cost_of(one.solved.candidate)
    if not against.dead:
        return cost
    spent = cost_of(against.base.solved.candidate)
    return cost - spent if cost is not None and spent is not None else None


def option_answer(letter: str, one: Reckoned, against: Comparison) -> OptionAnswer:
    """An option with every result."""
    year, found, solved, base = against.year, against.machine, one.solved, against.base
    keeps = one is base
    saved, heat_saved = (_less(then, own) for then, own in ((base.energy, one.energy), (base.heat, one.heat)))
    on_right = _less(against.kept.energy, one.energy)
    season = year_results.season(heat_saved, year)
    heat, cold = year_results.heat_results(season, keeps)
    price, waits = year.price, year_results.money_waits(found, year)
    money = money_results.Money.at(saved, extra_cost(one, against), year, waits, keeps)
    cost, candidate = cost_of(solved.candidate), solved.candidate
    slows = solved.option.traits.commanded and one.stop is None
    return OptionAnswer(
        letter=letter,
        id=candidate.id,
        kind=candidate.kind,
        title=candidate.name or solved.option.traits.title,
        product=candidate.product.name if candidate.product else None,
        series=solved.option.traits.series,
        fits=one.fits,
        checks=one.checks,
        steps=_steps(one, against),
        energy=year_results.energy_result(solved, one.energy, found, year),
        money=year_results.priced(say("option-answer-energy-cost"), one.energy, price, waits),
        saved_energy=year_results.saved_energy_result(saved, base.energy, one.energy, keeps, against.named),
        saved_on_right=figure("energy", on_right) if isinstance(on_right, Estimate) and not one.keeps else None,
        saved_money=year_results.priced(say("option-answer-saved-year"), saved, price, waits, keeps),
        nominal_saving=money_results.nominal_result(_nominal(one, saved), saved),
        cube_promise=money_results.cube_result(against.demands, saved, found, year, keeps, slows),
        always_on=_always_on(one, found, year),
        start_energy=year_results.start_result(solved, found, year, one.stop is not None),
        payback=money_results.payback_result(money),
        break_even=money_results.break_even_result(money, year),
        worth=money_results.worth_result(money, solved, year),
        saved_emissions=year_results.emissions_result(saved, year, keeps),
        made_up_heat=heat,
        saved_cooling=cold,
        net_money=year_results.net_money(saved, season, year, waits, keeps),
        sensitivities=None if keeps or isinstance(saved, Absent) else sensitivities(saved, "energy"),
        cost=figure("cost", cost, "estimated") if cost else None,
        wears=candidate.wears or _wears(candidate, solved),
        lead_time=_lead_time(candidate, one.keeps),
        limits=one.limits,
        upheld=one.upheld,
        stop=one.stop,
    )


def _steps(one: Reckoned, against: Comparison) -> tuple[StepAnswer, ...]:
    """Every step as it is told; what does not hang on names and hours is kept from one assessment to the next."""
    motor, found = _motor_of(one.solved, against.machine), against.machine
    bare = against.keep(
        _step_answers, against.demands, one.solved.steps, against.base.solved.steps, found, motor, against.workings
    )
    saved = _saved_by_step(one, against)
    return tuple(
        step.model_copy(
            update={
                "name": asked.name,
                "hours": figure("hours", hours, "estimated") if hours else None,
                "saved": figure("energy", kwh, "estimated") if kwh is not None else None,
            }
        )
        for asked, hours, kwh, step in zip(against.year.steps, against.year.hours_of_steps, saved, bare, strict=True)
    )


def _step_answers(
    demands: tuple[Demand, ...],
    own: tuple[SolvedStep, ...],
    base: tuple[SolvedStep, ...],
    found: FoundMachine,
    motor: TypicalMotor | Rating,
    workings: bool,
) -> tuple[StepAnswer, ...]:
    return tuple(
        step_answer(demand, step, before, found, motor, workings)
        for demand, step, before in zip(demands, own, base, strict=True)
    )


def _saved_by_step(one: Reckoned, against: Comparison) -> tuple[Estimate | None, ...]:
    """What each step saves in a year against the base, kWh, all machines; nothing of the base itself and of what waits."""
    if one is against.base or one.stop or against.year.total_hours is None:
        return (None,) * len(one.solved.steps)
    pairs = zip(against.base.solved.steps, one.solved.steps, strict=True)
    fewer = [
        base.input_power - own.input_power if base.input_power and own.input_power else None for base, own in pairs
    ]
    return tuple(
        watts * hours * (against.year.machines / 1000) if watts is not None and hours is not None else None
        for watts, hours in zip(fewer, against.year.hours_of_steps, strict=True)
    )


def _motor_of(solved: Solved, found: FoundMachine) -> TypicalMotor | Rating:
    return solved.option.motor(found) or solved.option.rating(found, solved.candidate)


def _less(today: Estimate | Absent, then: Estimate | Absent) -> Estimate | Absent:
    """Today's less the option's; or the words that say what either waits for, the option's first."""
    if isinstance(then, Absent):
        return then
    return today if isinstance(today, Absent) else today - then


def _wears(candidate: Candidate, solved: Solved) -> str:
    product = candidate.product
    return (product.wears if product else None) or solved.option.traits.wears


def _lead_time(candidate: Candidate, keeps: bool) -> Phrase:
    product = candidate.product
    if keeps:
        return (say("option-answer-lead-time-once"),)
    if product is not None and product.van_stock == "yes":
        return (say("option-answer-lead-time-van"),)
    days = candidate.lead_time or (product.lead_time if product else None)
    if days is not None and days.si <= 1:
        return (say("option-answer-lead-time-day") if days.si else say("option-answer-lead-time-once"),)
    return (figure("lead_time", days.si, "estimated"),) if days else (say("term-not-known"),)


def _always_on(one: Reckoned, found: FoundMachine, year: Year) -> Result:
    """The year with the fan run the other way between calls than it is today."""
    label = say("option-answer-always-on-if-ran") if year.runs_always else say("option-answer-always-on-if-fan")
    energy = one.energy if isinstance(one.energy, Absent) else otherwise_kwh(one.energy, one.solved, found, year)
    if isinstance(energy, Absent):
        return not_known(label, energy)
    sign = "−" if year.runs_always else "+"
    return result(
        label, "energy", energy, f"E {sign} (W_lowest − W_0) h_off ÷ 1000", (), say("word-definition"),
        (say("option-answer-always-on-between-calls"),),
    )  # fmt: skip


def _nominal(one: Reckoned, saved: Estimate | Absent) -> Estimate | Absent | None:
    """The saving with losses of the nominal in place of the expected ones; nothing where only one is stated."""
    product = one.solved.candidate.product
    if product is None or not (product.nominal_efficiency and product.least_efficiency) or isinstance(saved, Absent):
        return None
    nominal, expected = product.nominal_efficiency.si, product.expected_efficiency
    if isinstance(one.energy, Absent) or expected is None or not 0 < expected < nominal:
        return None
    # Losses at rated load, in proportion: the share of the year's energy that is the motor's losses.
    steps = [step for step in one.solved.steps if step.input_power and step.shaft_power]
    lost = [
        1 - step.shaft_power.value / step.input_power.value for step in steps if step.shaft_power and step.input_power
    ]
    if not lost:
        return None
    fewer = 1 - (1 / nominal - 1) / (1 / expected - 1)
    return saved + one.energy * (fewer * sum(lost) / len(lost))
