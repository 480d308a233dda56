"""The rail and the Board: each station's result in a few words, and the whole job in one line."""

from __future__ import annotations

from modest_rotor.core.assessment import BoardLine, CheckProcedure, Finding, Next, RailEntry, Severity, StepState
from modest_rotor.core.job import Station
from modest_rotor.core.options.answer_steps import flow_quantity
from modest_rotor.core.options.answers import OptionAnswer
from modest_rotor.core.options.contract import OptionKind
from modest_rotor.core.options.registry import traits_of
from modest_rotor.core.phrase import Figure, Phrase, as_typed, figure
from modest_rotor.core.proof.answer import UNPROVED, ProofAnswer, Verdict
from modest_rotor.core.rules.case import Case
from modest_rotor.core.say import before_colon, clause, joined, run_on, say, tell
from modest_rotor.core.setup.answer import SetupAnswer

LOG_WAITS = say("term-waits-for-readings")


def draw_rail(
    case: Case,
    findings: tuple[Finding, ...],
    procedures: tuple[CheckProcedure, ...],
    setup: SetupAnswer,
    proof: ProofAnswer,
) -> tuple[RailEntry, ...]:
    """One entry for every station of the route, in order; the log's own words come from the machine's readings over time."""
    tellers = {
        Station.CALL: _call,
        Station.PLATE: _plate,
        Station.READINGS: _readings,
        Station.DUTY: _duty,
        Station.OPTIONS: _options,
        Station.DECISION: _decision,
    }
    entries = []
    for station in Station:
        if station is Station.FINDINGS:
            told, waits = _findings(findings, procedures, any(not facts.reading.is_empty for facts in case.sets))
        elif station is Station.SETUP:
            told, waits = _setup(setup)
        elif station is Station.PROOF:
            told, waits = _proof(proof, setup)
        else:
            told, waits = tellers[station](case) if station in tellers else ((LOG_WAITS,), True)
        stopped = station in (Station.SETUP, Station.PROOF) and setup.stops
        severity = Severity.STOP if stopped else _worst(station, findings)
        entries.append(RailEntry(station=station, waits=waits, severity=severity, phrase=told))
    return tuple(entries)


def tell_on_board(
    case: Case,
    findings: tuple[Finding, ...],
    steps: tuple[Next, ...],
    procedures: tuple[CheckProcedure, ...],
    setup: SetupAnswer,
    proof: ProofAnswer,
) -> BoardLine:
    """The job in one line, what it waits for and where it stands."""
    # A stop that is known from the start (a protected duty) is told; the job itself goes on.
    later = [step for step in steps if step.station in (Station.SETUP, Station.PROOF)]
    # Once it is decided, what is still open of other options holds nothing up.
    first = next(iter(later if setup.option and not setup.waits else steps), None)
    own = [finding for finding in findings if not finding.standing and finding.is_open]
    now, after = _energies(case)
    return BoardLine(
        sentence=_headline(case, own, procedures, setup, proof),
        waits_for=_as_wait(first.sentence) if first else say("rail-tell-on-board"),
        stands_at=first.station if first else Station.LOG,
        stopped=bool(setup.stops) or any(finding.severity is Severity.STOP and finding.is_open for finding in findings),
        energy_now=now,
        energy_after=after,
    )


def _energies(case: Case) -> tuple[Figure | None, Figure | None]:
    """A year of the repaired machine, and of it with what was chosen; nothing of a motor that is dead, or not known yet."""
    options, decision = case.options.options, case.job.document.decision
    if not options or case.job.document.call.is_dead:
        return None, None
    chosen = next((option for option in options if option.id == decision.chosen), None)
    return options[0].energy.figure, chosen.energy.figure if chosen else None


def _as_wait(sentence: Phrase) -> str:
    return clause(sentence)


def _worst(station: Station, findings: tuple[Finding, ...]) -> Severity | None:
    own = [
        finding
        for finding in findings
        if finding.is_open and not finding.standing and station in (finding.station, Station.FINDINGS)
    ]
    return own[0].severity if own else None


def _findings(
    findings: tuple[Finding, ...], procedures: tuple[CheckProcedure, ...], looked: bool
) -> tuple[Phrase, bool]:
    """How many findings of each weight still call for something; or how far a procedure of checks has come."""
    own = {finding.key: finding for finding in findings if not finding.standing}
    still = [finding for finding in own.values() if finding.is_open]
    counts = [(sum(one.severity is severity for one in still), severity) for severity in reversed(Severity)]
    told = joined(", ", (say("rail-findings-count", count=count, severity=one.value) for count, one in counts if count))
    if told:
        return (told,), False
    if procedures:
        return _procedure(procedures[0]), False
    if own:
        return (say("rail-findings-all-settled", own=len(own)),), False
    return ((say("rail-findings-nothing-found"),), False) if looked else ((say("term-waits-for-readings"),), True)


def _call(case: Case) -> tuple[Phrase, bool]:
    call = case.job.document.call
    if call.reason is None:
        return (say("rail-call-waits-why"),), True
    if call.is_protected:
        return (say("rail-call-protected-duty", reason=call.reason),), False
    return (call.reason.label if call.protected else say("rail-call-protected-duty-asked", reason=call.reason),), False


def _plate(case: Case) -> tuple[Phrase, bool]:
    plate = case.job.document.nameplate
    pieces: list[str | Figure] = []
    if plate.rated_power is not None:
        pieces.append(as_typed("rated_power", plate.rated_power, "plate"))
    if case.plate.poles is not None:
        pieces.append(say("rail-plate-pole", poles=case.plate.poles))
    if plate.wired_current is not None:
        pieces.append(as_typed("rated_current", plate.wired_current, "plate"))
    return (_listed(pieces), False) if pieces else ((say("rail-plate-waits-plate"),), True)


def _readings(case: Case) -> tuple[Phrase, bool]:
    taken = [facts for facts, reading in zip(case.sets, case.job.document.before, strict=True) if not reading.is_empty]
    if not taken:
        dead = case.job.document.call.is_dead
        return ((say("rail-readings-none-needed"),), False) if dead else ((say("term-waits-for-volts-and-amps"),), True)
    count = say("rail-readings-set", taken=len(taken))
    machine = case.machine
    if machine and machine.flow_is_measured:
        return tell(
            "rail-readings-moves", count=count, figure=figure(flow_quantity(machine), machine.flow, machine.flow_basis)
        ), False
    with_power = next((facts for facts in taken if facts.shaft_power and case.plate.rated_power_w), None)
    if with_power and with_power.shaft_power and case.plate.rated_power_w:
        return tell(
            "rail-readings-load",
            count=count,
            load=figure("load", with_power.shaft_power * (1 / case.plate.rated_power_w)),
        ), False
    return (count,), False


def _duty(case: Case) -> tuple[Phrase, bool]:
    hours = case.year.answer.hours.figure
    if hours is None:
        return (
            say("rail-duty-waits-hours") if not case.job.document.duty.steps else say("rail-duty-waits-hours-do"),
        ), True
    count = len(case.job.document.duty.steps)
    return tell("rail-duty-step", hours=hours, count=count), False


def _options(case: Case) -> tuple[Phrase, bool]:
    """The saving of what was chosen, or else of the option that the year tells most of; stops are counted."""
    options = case.options.options
    if not options:
        return (say("term-waits-for-the-machine-as"),), True
    stopped = sum(option.stop is not None for option in options)
    stops: Phrase = (say("rail-options-stopped", stopped=stopped),) if stopped else ()
    told = _told_option(case)
    if told is None:
        return run_on(say("rail-options-considered", options=len(options) - 1), stops), False
    if told.saved_energy.figure:
        return tell("rail-options-year", saving=_saving(told), stops=stops), False
    return run_on(told.saved_energy.waits or say("rail-options-waits-duty"), stops), True


def _saving(told: OptionAnswer) -> Phrase:
    saved = told.saved_energy.figure
    return tell("rail-saving", letter=told.letter, saved=saved) if saved else ()


def tell_saving(case: Case, proof: ProofAnswer) -> Phrase:
    """What the job saves a year in a few words: as it was proved, else as the option that Options tells; empty where none is known."""
    # What is proved of a dead motor is held against the old one, which nobody could have kept.
    if proof.saved.figure and proof.verdict not in UNPROVED and not case.options.against_new:
        return tell("rail-tell-saving", figure=proof.saved.figure)
    told = _told_option(case)
    return _saving(told) if told else ()


def _told_option(case: Case) -> OptionAnswer | None:
    """The option that stands for all in one line: the chosen one, else the first electronic one, else the first that saves."""
    options = [option for option in case.options.options if option.kind is not OptionKind.KEEP]
    chosen = next((option for option in options if option.id == case.job.document.decision.chosen), None)
    electronic = next((option for option in options if traits_of(option.kind).electronic and option.stop is None), None)
    return chosen or electronic or next((option for option in options if option.saved_energy.figure), None)


def _decision(case: Case) -> tuple[Phrase, bool]:
    decision, options = case.job.document.decision, case.options.options
    chosen = next((option for option in options if option.id == decision.chosen), None)
    if chosen is None:
        return (say("rail-decision-waits-choice"),), True
    if chosen.stop:
        return (say("rail-decision-chosen-but", letter=chosen.letter),), True
    return tell(
        "rail-decision",
        letter=chosen.letter,
        title=chosen.title,
        reason="" if decision.why else say("rail-decision-reason-said"),
    ), False


def _procedure(procedure: CheckProcedure) -> Phrase:
    """How far a procedure of checks has come: its verdict, or the step that is next."""
    if procedure.verdict:
        return procedure.verdict
    number = next((place for place, step in enumerate(procedure.steps, 1) if step.state is StepState.NEXT), None)
    return (
        (say("rail-way-step", number=number, steps=len(procedure.steps)),) if number else (say("rail-way-way-follow"),)
    )


def _setup(setup: SetupAnswer) -> tuple[Phrase, bool]:
    """How far the step list has come; a stop that is not cleared keeps it open and says so."""
    if setup.waits:
        return (setup.waits,), True
    if setup.stops:
        count = len(setup.stops)
        return (say("rail-setup-stop-cleared", count=count),), True
    whole = len(setup.steps)
    if setup.done < whole:
        return (say("rail-setup-steps-signed", done=setup.done, whole=whole),), setup.done == 0
    return (say("rail-setup-all-steps", whole=whole),), False


def _proof(proof: ProofAnswer, setup: SetupAnswer) -> tuple[Phrase, bool]:
    if setup.stops:
        return (say("rail-proof-held-up"),), True
    if proof.waits:
        return (before_colon(proof.waits),), True
    if proof.saved.figure and proof.verdict is not Verdict.WAITS:
        return tell("rail-proof-saves", figure=proof.saved.figure, verdict=proof.verdict), False
    return (proof.verdict.label if proof.verdict is not Verdict.WAITS else say("rail-proof-waits-watts"),), True


def _headline(
    case: Case, findings: list[Finding], procedures: tuple[CheckProcedure, ...], setup: SetupAnswer, proof: ProofAnswer
) -> Phrase:
    if setup.stops:
        return tell("rail-headline-set-up", stops=setup.stops[0])
    if proof.saved.figure and proof.verdict not in UNPROVED:
        return tell("rail-headline-proved-saves", figure=proof.saved.figure, verdict=proof.verdict)
    told_option = _told_option(case)
    stop = next((finding for finding in findings if finding.severity is Severity.STOP), None)
    if stop:
        return stop.sentence
    if case.job.document.call.is_dead and procedures:
        return tell(
            "rail-headline-dead",
            way=_procedure(procedures[0]),
            verdict="." if procedures[0].verdict is None else "",
        )
    if told_option and told_option.saved_energy.figure:
        machine = case.machine
        moved: Phrase = (
            tell("rail-headline-moves", figure=figure(flow_quantity(machine), machine.flow, machine.flow_basis))
            if machine and machine.flow_is_measured
            else ()
        )
        named = say("rail-headline-option-would", letter=told_option.letter, told_option=told_option.title)
        return tell("rail-headline-year", moved=moved, named=named, figure=told_option.saved_energy.figure)
    told = [_readings(case), _plate(case), _call(case)]
    return next((phrase for phrase, waits in told if not waits), (say("rail-headline-only-name"),))


def _listed(pieces: list[str | Figure]) -> Phrase:
    spread: list[str | Figure] = []
    for index, piece in enumerate(pieces):
        spread += [", ", piece] if index else [piece]
    return run_on(*spread)
