"""A job in short: how it is now, the worst that is open, the candidates by what they save, and the one thing to do next."""

from __future__ import annotations

from dataclasses import replace

from modest_rotor.core.assessment import (
    BoardLine,
    CandidateAnswer,
    Finding,
    Next,
    NowLine,
    Severity,
    ShortAnswer,
    WorstFinding,
)
from modest_rotor.core.job import Station
from modest_rotor.core.options.answer_steps import flow_quantity
from modest_rotor.core.options.answers import OptionAnswer, RankedAnswer
from modest_rotor.core.options.checks.place import Fits
from modest_rotor.core.outcome import Absent
from modest_rotor.core.phrase import Phrase, as_typed, figure
from modest_rotor.core.rules.case import Case
from modest_rotor.core.say import first_sentence, run_on, say, tell
from modest_rotor.core.working import Result, not_known, waiting, withheld

WORST_FIRST = (Severity.STOP, Severity.CAUTION, Severity.NOTE)


def short_answer(
    case: Case, findings: tuple[Finding, ...], steps: tuple[Next, ...], board: BoardLine, saving: Phrase
) -> ShortAnswer:
    """The first page of a job, whatever is known of it.

    :param board: the job in one line, which says where it stands. :param saving: what it saves in a few words, for the rail.
    """
    ranking = case.options.ranking
    return ShortAnswer(
        saving=saving,
        as_found=case.machine.reference.id if case.machine and case.machine.reference else None,
        now=(_moves(case), _takes(case), _costs(case)),
        worst=_worst(findings),
        waits=case.options.waits,
        base=case.options.against,
        candidates=_candidates(case),
        differences=ranking.differences if ranking else (),
        next=_next(steps, board),
        stands_at=board.stands_at,
    )


def _moves(case: Case) -> NowLine:
    """Flow of the machine as found, with the set that it was read in where there are several, judged by what is wanted."""
    label, target, machine = say("short-moves"), case.wanted.figure, case.machine
    judged: Phrase = tell("short-moves-wanted", target=target) if target else ()
    stands_on = machine.reference if machine else None
    if stands_on is not None and len(case.sets) > 1:
        judged = run_on(judged, "; " if judged else "", stands_on.title)
    if machine is not None and machine.flow_is_measured:
        value = Result(label=label, figure=figure(flow_quantity(machine), machine.flow, machine.flow_basis))
    else:
        dead = case.job.document.call.is_dead
        value = (
            withheld(label, tell("term-nothing-the-motor-is-dead"))
            if dead
            else waiting(label, tell("term-waits-for-a-flow"))
        )
    return NowLine(label=label, station=Station.READINGS, value=value, judged=judged)


def _takes(case: Case) -> NowLine:
    """Watts as read or worked out, judged by the amps of the same set beside the plate's."""
    label, machine = say("short-takes"), case.machine
    sets = case.sets if machine is None else [machine.reference] if machine.reference else []
    read = next((one.reading.current for one in reversed(sets) if one.reading.current is not None), None)
    rated = case.job.document.nameplate_as_fed.wired_current
    judged: Phrase = ()
    if read is not None:
        judged = (as_typed("current", read, "measured"),)
        judged = (
            tell("short-takes-plate", judged=judged, rated_current=as_typed("rated_current", rated, "plate"))
            if rated
            else judged
        )
    if case.job.document.call.is_dead:
        return NowLine(
            label=label, station=Station.READINGS, value=withheld(label, tell("term-nothing-the-motor-is-dead"))
        )
    if isinstance(case.found, Absent):
        return NowLine(
            label=label,
            station=Station.READINGS,
            value=not_known(label, replace(case.found, why=_short(case.found.why))),
            judged=judged,
        )
    power = figure("input_power", case.found.input_power, case.found.input_power_basis)
    return NowLine(label=label, station=Station.READINGS, value=Result(label=label, figure=power), judged=judged)


def _costs(case: Case) -> NowLine:
    """A year of the repaired machine, in money, with its energy beside it."""
    label = say("short-costs-costs-year")
    kept = next(iter(case.options.options), None)
    if kept is None:
        return NowLine(label=label, station=Station.DUTY, value=waiting(label, tell("short-costs-waits-machine")))
    energy = kept.energy
    if kept.money.figure is None:
        return NowLine(
            label=label if energy.figure is None else say("short-costs-energy-per"),
            station=Station.DUTY,
            value=energy if energy.figure else waiting(label, energy.waits or (say("term-waits-for-hours"),)),
            judged=kept.money.waits or () if energy.figure else (),
        )
    return NowLine(
        label=label, station=Station.DUTY, value=kept.money, judged=(energy.figure,) if energy.figure else ()
    )


def _short(sentence: str) -> str:
    """The first sentence of a longer one."""
    return first_sentence(sentence)


def _worst(findings: tuple[Finding, ...]) -> WorstFinding | None:
    own = [one for one in findings if one.is_open and not one.standing and one.severity is not Severity.NOTE]
    if not own:
        return None
    first = min(own, key=lambda one: WORST_FIRST.index(one.severity))
    return WorstFinding(
        key=first.key, station=first.station, severity=first.severity, sentence=first.sentence, others=len(own) - 1
    )


def _candidates(case: Case) -> tuple[CandidateAnswer, ...]:
    ranking, chosen = case.options.ranking, case.job.document.decision.chosen
    if ranking is None:
        return ()
    told = {one.id: one for one in case.options.options}
    return tuple(_candidate(row, told[row.id], chosen) for row in ranking.rows)


def _candidate(row: RankedAnswer, option: OptionAnswer, chosen: str | None) -> CandidateAnswer:
    unknown = next((one for one in option.checks if one.fits is Fits.UNKNOWN), None)
    return CandidateAnswer(
        id=row.id,
        letter=option.letter,
        title=option.title,
        series=option.series,
        fits=option.fits,
        asks=unknown.question if unknown and not option.stop else None,
        stop=option.stop,
        chosen=row.id == chosen,
        is_base=row.is_base,
        saved=option.saved_energy,
        money=option.saved_money,
        cost=row.cost,
        payback=option.payback,
        limit=None if option.stop else next(iter(option.limits), None),
    )


def _next(steps: tuple[Next, ...], board: BoardLine) -> Next | None:
    """The one thing to do next: where the job stands."""
    return next((step for step in steps if step.station is board.stands_at), next(iter(steps), None))
