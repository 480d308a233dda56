"""The options beside each other: each looked at, solved at every duty step, and held against the repaired baseline."""

from __future__ import annotations

from dataclasses import dataclass, replace
from typing import TypeVar

from modest_rotor.core.estimate import Estimate, exactly
from modest_rotor.core.memo import Keeper
from modest_rotor.core.options.answer_steps import flow_quantity, pressure_quantity
from modest_rotor.core.options.answers import LoadedAnswer, OptionAnswer, OptionsAnswer, RepairAnswer
from modest_rotor.core.options.beside import BesideAnswer, beside_answer
from modest_rotor.core.options.checks.book import look, verdict
from modest_rotor.core.options.checks.place import FitCheck, Fits, Place
from modest_rotor.core.options.contract import STRAIGHT, Asked, Demand, OptionKind, SolvedStep, VoltsLaw
from modest_rotor.core.options.demands import demand_of
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.keep import Keep
from modest_rotor.core.options.limits import ComparedStep, limits_of, protected_stop
from modest_rotor.core.options.loading_answer import loaded_answer
from modest_rotor.core.options.option_answer import Comparison, Reckoned, option_answer
from modest_rotor.core.options.ranking import base_of, rank
from modest_rotor.core.options.registry import BY_KIND
from modest_rotor.core.options.repaired import RepairedBaseline, repaired_baseline
from modest_rotor.core.options.year import Solved, Year, year_energy, year_heat
from modest_rotor.core.options.year_results import energy_result, money_waits, priced
from modest_rotor.core.outcome import Absent, Waiting, Withheld
from modest_rotor.core.phrase import figure
from modest_rotor.core.say import say
from modest_rotor.core.stations.nameplate import Nameplate
from modest_rotor.core.stations.options import Candidate, OptionCosts

__all__ = ["OptionAnswer", "OptionsAnswer", "compare", "flow_quantity", "pressure_quantity"]

Told = TypeVar("Told", OptionAnswer, LoadedAnswer)
LETTERS = "ABCDEFGHIJKLMNOP"
STOPPED = Withheld(say("term-withheld-the-stop-stands-first"))
KEPT = Candidate(id="keep", kind=OptionKind.KEEP)


@dataclass(frozen=True)
class Compared:
    """What the comparison is given beside the machine: plate as typed, year, F and V measured, the drive's law of volts.

    :param workings: whether each step comes with how it came about.
    """

    plate: Nameplate
    year: Year
    capacitance_f: float | None = None
    volts_v: float | None = None
    law: VoltsLaw = STRAIGHT
    workings: bool = False


def compare(found: FoundMachine | Absent, given: Compared, keep: Keeper) -> OptionsAnswer:
    """Look at every option, solve it at every step, and set the years beside each other.

    :param found: the machine as found, or what it waits for. :param given: the options, the year and the costs.
    :param keep: keeps the repaired baseline, and what is solved of each option.

    Errors of what two options share cancel in every difference. Source: definitions; the equations of each kind stand in its own file.
    """
    if isinstance(found, Absent):
        return OptionsAnswer(waits=found.why, options=())
    right = repaired_machine(found, given, keep)
    lettered, baseline = _reckoned(right.machine, given, keep)
    answers = tuple(option_answer(letter, one, baseline) for letter, one in lettered)
    return OptionsAnswer(
        waits=None,
        options=_titled(answers, right),
        repair=_repair(found, right, given, baseline),
        ranking=rank(lettered, answers, baseline),
        against=baseline.named,
        base=baseline.base.solved.candidate.id,
        against_new=baseline.dead,
    )


def compare_loaded(found: FoundMachine | Absent, given: Compared, keep: Keeper) -> tuple[LoadedAnswer, ...]:
    """What every option that can be drawn moves and takes as the filter loads; nothing while the machine waits."""
    if isinstance(found, Absent):
        return ()
    right = repaired_machine(found, given, keep)
    lettered, baseline = _reckoned(right.machine, given, keep)
    answers = (loaded_answer(letter, one, baseline) for letter, one in lettered)
    return _titled(tuple(one for one in answers if one is not None), right)


def compare_beside(found: FoundMachine | Absent, given: Compared, asked: tuple[str, ...], keep: Keeper) -> BesideAnswer:
    """The options asked for by their ids, laid side by side; nothing while the machine waits."""
    if isinstance(found, Absent):
        return BesideAnswer(options=())
    right = repaired_machine(found, given, keep)
    return beside_answer(asked, *_reckoned(right.machine, given, keep))


def _titled(answers: tuple[Told, ...], right: RepairedBaseline) -> tuple[Told, ...]:
    """The answers, A under the name of what it is once something was put right."""
    if not (right.done and answers and answers[0].letter == LETTERS[0]):
        return answers
    return tuple(
        one.model_copy(update={"title": say("compare-titled")}) if one is answers[0] else one for one in answers
    )


def _reckoned(
    machine: FoundMachine, given: Compared, keep: Keeper
) -> tuple[tuple[tuple[str, Reckoned], ...], Comparison]:
    """Every option by its letter, the baseline first, and what they are held against."""
    comparison = _Comparison(machine, given, keep)
    reckoned = tuple(comparison.reckon(one) for one in (KEPT, *given.year.costs.candidates))
    base = base_of(reckoned, given.year.dead)
    baseline = Comparison(reckoned[0], base, comparison.demands, machine, given.year, keep, given.workings)
    return tuple(zip(LETTERS, reckoned, strict=False)), baseline


def repaired_machine(found: FoundMachine, given: Compared, keep: Keeper) -> RepairedBaseline:
    """The machine with the repairs that were chosen, worked out once for everybody who asks.

    :param found: the machine as found, flows in m³/s or relative. :param given: as :func:`compare`. Source: :mod:`repaired`.
    """
    costs = given.year.costs
    asked = OptionCosts(repairs=costs.repairs, filter_excess=costs.filter_excess, wheel_loss=costs.wheel_loss)
    return keep(repaired_baseline, found, asked, given.capacitance_f)


def _solve(
    machine: FoundMachine, demands: tuple[Demand, ...], asked: Asked, waiting: dict[str, Waiting | Withheld]
) -> tuple[SolvedStep, ...]:
    """An option at every step. A step whose flow was said but is not known yet waits: it has no point at full flow either."""
    solved = BY_KIND[asked.candidate.kind].solve(machine, demands, asked)
    return tuple(SolvedStep(step.id, absent=waiting[step.id]) if step.id in waiting else step for step in solved)


class _Comparison:
    """One machine and one year, against which options are reckoned."""

    def __init__(self, machine: FoundMachine, given: Compared, keep: Keeper) -> None:
        self.machine, self.given, self.year, self.keep = machine, given, given.year, keep
        year = given.year
        asked = [demand_of(step, machine, year.wanted_flow_m3s) for step in year.steps]
        self.waiting = {
            step.id: one
            for step, one in zip(year.steps, asked, strict=True)
            if isinstance(one, Absent) and step.is_told
        }
        self.waits = next((one for one in asked if isinstance(one, Absent)), None) if year.duty.steps else None
        bare = tuple(
            Demand(step.id, 1.0) if isinstance(one, Absent) else one
            for step, one in zip(year.steps, asked, strict=True)
        )
        self.today = self._solved(KEPT, bare)
        self.demands = self._with_floors(bare) if year.protected else bare

    def reckon(self, candidate: Candidate) -> Reckoned:
        """One option: looked at, solved unless a stop withholds it, and its year."""
        option = BY_KIND[candidate.kind]
        checks = look(self._place(candidate), self.year.costs.waivers)
        first = next((one for one in checks if one.stops), None)
        if first is not None:
            return self._withheld(candidate, checks, first)
        keeps = candidate.kind is OptionKind.KEEP
        steps = self.today if keeps else self._solved(candidate, self.demands)
        checks = look(self._place(candidate, steps), self.year.costs.waivers)
        first = next((one for one in checks if one.stops), None)
        if first is not None:
            return self._withheld(candidate, checks, first)
        stop = None if keeps else self._protected_stop(steps)
        if stop:
            return Reckoned(Solved(option, candidate, self._blank()), STOPPED, STOPPED, checks, Fits.CANNOT, (), stop)
        solved = Solved(option, candidate, steps)
        waits = self.waits
        energy = waits or year_energy(solved, self.machine, self.year)
        heat = waits or year_heat(solved, energy, self.year)
        limits, upheld = self._limits(solved, checks)
        return Reckoned(solved, energy, heat, checks, verdict(checks), limits, None, upheld)

    def _place(self, candidate: Candidate, steps: tuple[SolvedStep, ...] = ()) -> Place:
        costs, given = self.year.costs, self.given
        option = BY_KIND[candidate.kind]
        return Place(option, candidate, given.plate, costs.fitting, self.machine, given.volts_v, steps)

    def _solved(self, candidate: Candidate, demands: tuple[Demand, ...]) -> tuple[SolvedStep, ...]:
        year = self.year
        asked = Asked(
            year.duty.part_flow, candidate.technical, year.machines, year.costs.fitting.phases, self.given.law
        )
        return self.keep(_solve, self.machine, demands, asked, self.waiting)

    def _blank(self) -> tuple[SolvedStep, ...]:
        return tuple(SolvedStep(step.id, absent=STOPPED) for step in self.year.steps)

    def _withheld(self, candidate: Candidate, checks: tuple[FitCheck, ...], first: FitCheck) -> Reckoned:
        solved = Solved(BY_KIND[candidate.kind], candidate, self._blank())
        return Reckoned(solved, STOPPED, STOPPED, checks, Fits.CANNOT, (), first.question)

    def _with_floors(self, bare: tuple[Demand, ...]) -> tuple[Demand, ...]:
        return tuple(replace(one, floor=self._floor(now)) for one, now in zip(bare, self.today, strict=True))

    def _floor(self, today: SolvedStep) -> float:
        least = self.year.least_flow_m3s
        if least is not None and self.machine.flow_is_measured:
            return least / self.machine.flow.value
        return today.flow.value / self.machine.flow.value if today.flow else 1.0

    def _least(self, today: SolvedStep) -> Estimate | None:
        """The least flow allowed at a step: as documented, else as found there; nothing where the duty is not protected."""
        if not self.year.protected:
            return None
        least = self.year.least_flow_m3s
        return exactly(least) if least is not None and self.machine.flow_is_measured else today.flow

    def _compared(self, steps: tuple[SolvedStep, ...]) -> tuple[ComparedStep, ...]:
        return tuple(
            ComparedStep(asked.name or say("term-a-step"), step, now, self._least(now))
            for asked, step, now in zip(self.year.steps, steps, self.today, strict=True)
        )

    def _protected_stop(self, steps: tuple[SolvedStep, ...]) -> str | None:
        return protected_stop(self._compared(steps), self.year.least_words)

    def _limits(self, solved: Solved, checks: tuple[FitCheck, ...]) -> tuple[tuple[str, ...], tuple[str, ...]]:
        """What it does not do or may not, and what it keeps that must be kept."""
        if solved.candidate.kind is OptionKind.KEEP:
            return ((say("compare-limits-dead-cannot"),) if self.year.dead else ()), ()
        waived = tuple(
            say("compare-limits-answers", question=one.question, who=one.waived_by.who, reason=one.waived_by.reason)
            for one in checks
            if one.waived_by is not None
        )
        told = limits_of(self._compared(solved.steps), self.year.least_words)
        return (*told, *waived), (say("compare-limits-keeps-protected"),) if self.year.protected and not told else ()


def _energy_as_found(found: FoundMachine, given: Compared, baseline: Comparison) -> Estimate | Absent:
    """What the machine takes before it is put right, at the same demands."""
    steps = Keep().solve(found, baseline.demands, Asked(given.year.duty.part_flow, KEPT, given.year.machines))
    return year_energy(Solved(Keep(), KEPT, steps), found, given.year)


def _repair(found: FoundMachine, right: RepairedBaseline, given: Compared, baseline: Comparison) -> RepairAnswer | None:
    """What the repair does by itself: its energy and money stand apart from every option's saving."""
    if not (right.done or right.lacking):
        return None
    year, kept = given.year, baseline.kept
    gain: Estimate | Absent = Waiting(say("compare-repair-nothing-put"))
    if right.done:
        gain = _energy_as_found(found, given, baseline)
        if isinstance(gain, Estimate):
            gain = kept.energy if isinstance(kept.energy, Absent) else gain - kept.energy
    price, waits = year.price, money_waits(found, year)
    flow = right.machine.flow - found.flow if right.done else None
    worked = energy_result(kept.solved, gain, right.machine, year).model_copy(
        update={"label": say("compare-repair-saved-repair")}
    )
    return RepairAnswer(
        done=right.done,
        lacking=right.lacking,
        flow=figure(flow_quantity(found), flow, "estimated") if flow else None,
        energy=worked,
        money=priced(say("compare-repair-saved-repair"), gain, price, waits),
    )
