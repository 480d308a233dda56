"""The rail and the Board: each station's result in a few words, and the whole job in one line."""

from __future__ import annotations

from modest_rotor.core.assessment import BoardLine, CheckWay, Finding, Next, RailEntry, Severity, StepState
from modest_rotor.core.job import Station
from modest_rotor.core.options.answer_steps import flow_quantity
from modest_rotor.core.options.answers import OptionAnswer
from modest_rotor.core.options.contract import OptionKind
from modest_rotor.core.options.registry import traits_of
from modest_rotor.core.phrase import Figure, Phrase, as_typed, figure
from modest_rotor.core.proof.answer import UNPROVED, ProofAnswer, Verdict
from modest_rotor.core.rules.case import Case
from modest_rotor.core.setup.answer import SetupAnswer

LOG_WAITS = "waits for readings"
ORDINARY_COUNTS = ("no", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine")


def draw_rail(
    case: Case, findings: tuple[Finding, ...], ways: tuple[CheckWay, ...], setup: SetupAnswer, proof: ProofAnswer
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
            told, waits = _findings(findings, ways, any(not facts.reading.is_empty for facts in case.sets))
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
    ways: tuple[CheckWay, ...],
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
        sentence=_headline(case, own, ways, setup, proof),
        waits_for=_as_wait(first.sentence) if first else "nothing: it goes on in the log",
        stands_at=first.station if first else Station.LOG,
        stopped=bool(setup.stops) or any(finding.severity is Severity.STOP and finding.is_open for finding in findings),
        energy_now=now,
        energy_after=after,
    )


def _energies(case: Case) -> tuple[Figure | None, Figure | None]:
    """A year of the machine put right, and of it with what was chosen; nothing of a motor that is dead, or not known yet."""
    options, decision = case.options.options, case.job.document.decision
    if not options or case.job.document.call.is_dead:
        return None, None
    chosen = next((option for option in options if option.id == decision.chosen), None)
    return options[0].energy.figure, chosen.energy.figure if chosen else None


def _as_wait(sentence: Phrase) -> str:
    words = "".join(piece for piece in sentence if isinstance(piece, str)).rstrip(".")
    return words[:1].lower() + words[1:]


def _worst(station: Station, findings: tuple[Finding, ...]) -> Severity | None:
    own = [
        finding
        for finding in findings
        if finding.is_open and not finding.standing and station in (finding.station, Station.FINDINGS)
    ]
    return own[0].severity if own else None


def _findings(findings: tuple[Finding, ...], ways: tuple[CheckWay, ...], looked: bool) -> tuple[Phrase, bool]:
    """How many findings of each weight still call for something; or how far a way of checks has come."""
    own = {finding.key: finding for finding in findings if not finding.standing}
    still = [finding for finding in own.values() if finding.is_open]
    counts = [(sum(one.severity is severity for one in still), str(severity)) for severity in reversed(Severity)]
    told = ", ".join(f"{count} {word}{'s' if count > 1 else ''}" for count, word in counts if count)
    if told:
        return (told,), False
    if ways:
        return _way(ways[0]), False
    if own:
        return (f"all {len(own)} settled",), False
    return (("nothing found",), False) if looked else (("waits for readings",), True)


def _call(case: Case) -> tuple[Phrase, bool]:
    call = case.job.document.call
    if call.reason is None:
        return ("waits for why we are here",), True
    if call.is_protected:
        return (f"{call.reason}; protected duty",), False
    return (f"{call.reason}" if call.protected else f"{call.reason}; protected duty not asked yet",), False


def _plate(case: Case) -> tuple[Phrase, bool]:
    plate = case.job.document.plate
    pieces: list[str | Figure] = []
    if plate.rated_power is not None:
        pieces.append(as_typed("rated_power", plate.rated_power, "plate"))
    if case.plate.poles is not None:
        pieces.append(f"{case.plate.poles}-pole")
    if plate.wired_current is not None:
        pieces.append(as_typed("rated_current", plate.wired_current, "plate"))
    return (_listed(pieces), False) if pieces else (("waits for a plate",), True)


def _readings(case: Case) -> tuple[Phrase, bool]:
    taken = [facts for facts, reading in zip(case.sets, case.job.document.before, strict=True) if not reading.is_empty]
    if not taken:
        dead = case.job.document.call.is_dead
        return (("none needed: the motor is dead",), False) if dead else (("waits for volts and amps",), True)
    count = f"{len(taken)} set{'s' if len(taken) > 1 else ''}"
    machine = case.machine
    if machine and machine.flow_is_measured:
        return (f"{count}; moves ", figure(flow_quantity(machine), machine.flow, machine.flow_basis)), False
    with_power = next((facts for facts in taken if facts.shaft_power and case.plate.rated_power_w), None)
    if with_power and with_power.shaft_power and case.plate.rated_power_w:
        return (f"{count}; load ", figure("load", with_power.shaft_power * (1 / case.plate.rated_power_w))), False
    return (count,), False


def _duty(case: Case) -> tuple[Phrase, bool]:
    hours = case.year.answer.hours.figure
    if hours is None:
        return (
            "waits for hours a year" if not case.job.document.duty.steps else "waits: the hours do not make a year yet",
        ), True
    count = len(case.job.document.duty.steps)
    counted = ORDINARY_COUNTS[count] if count < len(ORDINARY_COUNTS) else str(count)
    return (hours, f" in {counted} step{'s' if count > 1 else ''}"), False


def _options(case: Case) -> tuple[Phrase, bool]:
    """The saving of what was chosen, or else of the option that the year tells most of; stops are counted."""
    options = case.options.options
    if not options:
        return ("waits for the machine as found",), True
    stopped = sum(option.stop is not None for option in options)
    stops: Phrase = (f"; {stopped} stopped",) if stopped else ()
    told = _told_option(case)
    if told is None:
        return (f"{len(options) - 1} considered", *stops), False
    if told.saved_energy.figure:
        return (*_saving(told), " a year", *stops), False
    return (*(told.saved_energy.waits or ("waits for Duty",)), *stops), True


def _saving(told: OptionAnswer) -> Phrase:
    saved = told.saved_energy.figure
    return (f"{told.letter} saves ", saved) if saved else ()


def tell_saving(case: Case, proof: ProofAnswer) -> Phrase:
    """What the job saves a year in a few words: as it was proved, else as the option that Options tells; empty where none is known."""
    # What is proved of a dead motor is held against the old one, which nobody could have kept.
    if proof.saved.figure and proof.verdict not in UNPROVED and not case.options.against_new:
        return ("proved: saves ", proof.saved.figure)
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
        return ("waits for a choice",), True
    if chosen.stop:
        return (f"{chosen.letter} chosen, but stopped",), True
    return (f"{chosen.letter}, {chosen.title}", "" if decision.why else "; its reason is not said"), False


def _way(way: CheckWay) -> Phrase:
    """How far a way of checks has come: its verdict, or the step that is next."""
    if way.verdict:
        return way.verdict
    number = next((place for place, step in enumerate(way.steps, 1) if step.state is StepState.NEXT), None)
    return (f"step {number} of {len(way.steps)}",) if number else ("a way to follow",)


def _setup(setup: SetupAnswer) -> tuple[Phrase, bool]:
    """How far the step list has come; a stop that is not cleared keeps it open and says so."""
    if setup.waits:
        return (setup.waits,), True
    if setup.stops:
        count = len(setup.stops)
        return (f"{count} stop{'s' if count > 1 else ''} not cleared",), True
    whole = len(setup.steps)
    if setup.done < whole:
        return (f"{setup.done} of {whole} steps signed",), setup.done == 0
    return (f"all {whole} steps signed",), False


def _proof(proof: ProofAnswer, setup: SetupAnswer) -> tuple[Phrase, bool]:
    if setup.stops:
        return ("held up: Set-up is stopped",), True
    if proof.waits:
        return (proof.waits.split(":")[0],), True
    if proof.saved.figure and proof.verdict is not Verdict.WAITS:
        return ("saves ", proof.saved.figure, f", {proof.verdict}"), False
    return (str(proof.verdict) if proof.verdict is not Verdict.WAITS else "waits for watts after",), True


def _headline(
    case: Case, findings: list[Finding], ways: tuple[CheckWay, ...], setup: SetupAnswer, proof: ProofAnswer
) -> Phrase:
    if setup.stops:
        return ("Set-up is stopped. ", *setup.stops[0])
    if proof.saved.figure and proof.verdict not in UNPROVED:
        return ("Proved: saves ", proof.saved.figure, f" a year, {proof.verdict}.")
    told_option = _told_option(case)
    stop = next((finding for finding in findings if finding.severity is Severity.STOP), None)
    if stop:
        return stop.sentence
    if case.job.document.call.is_dead and ways:
        return ("Dead: ", *_way(ways[0]), "." if ways[0].verdict is None else "")
    if told_option and told_option.saved_energy.figure:
        machine = case.machine
        moved: Phrase = (
            ("Moves ", figure(flow_quantity(machine), machine.flow, machine.flow_basis), "; ")
            if machine and machine.flow_is_measured
            else ()
        )
        named = f"option {told_option.letter}, {told_option.title}, would save "
        return (*moved, named, told_option.saved_energy.figure, " a year.")
    told = [_readings(case), _plate(case), _call(case)]
    return next((phrase for phrase, waits in told if not waits), ("Only its name is known.",))


def _listed(pieces: list[str | Figure]) -> Phrase:
    spread: list[str | Figure] = []
    for index, piece in enumerate(pieces):
        spread += [", ", piece] if index else [piece]
    return tuple(spread)
