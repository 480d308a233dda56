"""Measured against promised and before, at the same flow and at each duty step; and whether these meters can tell."""

from __future__ import annotations

import math

from pydantic import Field

from modest_rotor.core.coded import Coded
from modest_rotor.core.estimate import COVERAGE_95, Estimate, exactly
from modest_rotor.core.job import Job
from modest_rotor.core.options.answers import OptionAnswer, OptionsAnswer
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.year import Year
from modest_rotor.core.outcome import Absent, Waiting
from modest_rotor.core.phrase import Frozen, Phrase, as_typed, figure
from modest_rotor.core.proof.steps import ProofReader, StepProof, StepRead
from modest_rotor.core.say import joined, run_on, say, tell
from modest_rotor.core.stations.duty import HOURS_IN_A_YEAR
from modest_rotor.core.stations.set_facts import SetFacts
from modest_rotor.core.stations.statement import standing
from modest_rotor.core.working import Result, not_known, result, waiting

W_PER_KW, HOURS_PER_DAY = 1000.0, 24.0
BESIDE_SPREAD = 0.3
"""Standard deviation of standby and starts, which nobody measures, as a share. Our judgement, no source."""


class Verdict(Coded):
    """What became of the promise."""

    WAITS = "waits"
    INSIDE = "inside"
    SO_FAR = "so-far"
    ABOVE = "above"
    BELOW = "below"
    UNPROVABLE = "unprovable"


UNPROVED = (Verdict.WAITS, Verdict.UNPROVABLE)
"""Verdicts under which a promise is told, and no proof."""


class AskedSet(Frozen):
    """A set that may be of the machine set up anew: asked once."""

    id: str
    title: str
    taken_at: str


class ProofAnswer(Frozen):
    """The proof of a job, or what it waits for."""

    waits: str | None
    option: str | None = None
    title: str | None = None
    steps: tuple[StepProof, ...] = ()
    saved: Result = waiting(say("label-saved-a-year-measured"), tell("proof-answer-saved-waits-readings"))
    promised: Result = waiting(say("label-promised-for-these-steps"), tell("term-waits-for-options"))
    verdict: Verdict = Verdict.WAITS
    sentence: Phrase = ()
    changed: tuple[Phrase, ...] = ()
    comfort: tuple[Phrase, ...] = ()
    logged: Phrase = ()
    asks: tuple[AskedSet, ...] = Field(
        default=(), description="sets read after Set-up was last signed, of which nobody said on which machine"
    )


def proof_answer(
    job: Job,
    options: OptionsAnswer,
    right: FoundMachine | Absent,
    year: Year,
    before: tuple[SetFacts, ...],
    after: tuple[SetFacts, ...],
) -> ProofAnswer:
    """The proof of what was chosen.

    :param right: the repaired machine, against which the saving was promised. :param before: the sets as found.
    :param after: the sets of the machine set up anew.
    """
    option = next((one for one in options.options if one.id == job.document.decision.chosen), None)
    if isinstance(right, Absent):
        return ProofAnswer(waits=right.why)
    if option is None:
        return ProofAnswer(waits=say("term-waits-for-decision"))
    asks = _asks(job)
    if not after:
        return ProofAnswer(
            waits=say("proof-answer-waits-readings"), option=option.letter, title=option.title, asks=asks
        )
    keeper = ProofReader(job, options.options[0], option, right, year, before, after)
    read = tuple(keeper.step(step) for step in option.steps)
    saved, promised = _year(read, option, year), _promised(read, option, year)
    held = say("proof-answer-both-against") if options.against_new else ""
    verdict, sentence = _verdict(saved, promised, read, job.document.proof.unread, held)
    return ProofAnswer(
        waits=None,
        asks=asks,
        option=option.letter,
        title=option.product or option.title,
        steps=tuple(one.told for one in read),
        saved=_saved_result(saved),
        promised=_promised_result(promised),
        verdict=verdict,
        sentence=sentence,
        changed=keeper.changed(),
        comfort=_comfort(job),
        logged=_logged(job, read, year),
    )


def _year(read: tuple[StepRead, ...], option: OptionAnswer, year: Year) -> Estimate | Absent:
    """Energy saved in a year over the steps that were read, kWh, with the standby and starts that the promise counts too."""
    total, any_read = exactly(0.0), False
    for one in read:
        if one.saved is None or one.hours is None:
            continue
        total, any_read = total + one.saved * one.hours * (year.machines / W_PER_KW), True
    if any_read:
        beside = _beside_steps(read, option, year)
        return (total + beside).with_contribution("standby and starts, as promised", BESIDE_SPREAD * abs(beside))
    lacking = next((one.watts for one in read if isinstance(one.watts, Absent)), None)
    return lacking or Waiting(say("proof-answer-year"))


def _promised_kwh(one: StepRead, year: Year) -> float:
    hours = one.hours.value if one.hours else 0.0
    return (one.promised_w or 0.0) * hours * year.machines / W_PER_KW


def _share_read(read: tuple[StepRead, ...]) -> float:
    """Share of the year's hours whose steps were read."""
    hours = [(one, one.hours.value if one.hours else 0.0) for one in read]
    whole = sum(value for _, value in hours)
    return sum(value for one, value in hours if one.saved is not None) / whole if whole else 1.0


def _beside_steps(read: tuple[StepRead, ...], option: OptionAnswer, year: Year) -> float:
    """What the promise counts beside its steps (standby, starts), kWh, for the share of the year that was read."""
    promise = option.saved_on_right
    if promise is None:
        return 0.0
    return (promise.value - sum(_promised_kwh(one, year) for one in read)) * _share_read(read)


def _promised(read: tuple[StepRead, ...], option: OptionAnswer, year: Year) -> Estimate | Absent:
    """The part of the promise that belongs to the steps that were read, kWh, with the promise's own uncertainty."""
    promise = option.saved_on_right
    if promise is None:
        return Waiting(say("proof-answer-promised"))
    of_steps = sum(_promised_kwh(one, year) for one in read if one.saved is not None)
    value = of_steps + _beside_steps(read, option, year)
    share = abs(value / promise.value) if promise.value else 1.0
    return Estimate(value, {"promise": (promise.uncertainty or 0.0) * share / COVERAGE_95})


def _asks(job: Job) -> tuple[AskedSet, ...]:
    """Sets of which nobody said whether they are before or after, and that are later than Set-up's last signature."""
    signed = max((sign.at for sign in standing(job.document.setup.signs) if sign.at), default=None)
    return tuple(
        AskedSet(
            id=reading.id,
            title=say("proof-answer-asks", number=number, reading=f", {reading.name}" if reading.name else ""),
            taken_at=reading.taken_at,
        )
        for number, reading in enumerate(job.document.readings, 1)
        if signed and reading.stage is None and not reading.is_empty and reading.taken_at and reading.taken_at > signed
    )


def _part_read(read: tuple[StepRead, ...]) -> Phrase:
    """How much of the year was read, in steps and hours; nothing where it was all of it."""
    steps = [one for one in read if one.hours is None or one.hours.value > 0]
    done = [one for one in steps if one.saved is not None]
    if len(done) == len(steps):
        return ()
    count = (
        say("proof-answer-part-read-steps-read", count=_count(len(done)), count_2=_count(len(steps)))
        if len(done) == 1
        else say("proof-answer-part-read-steps-read-2", count=_count(len(done)), count_2=_count(len(steps)))
    )
    left = joined(", ", (one.told.name or say("term-a-step") for one in steps if one.saved is None))
    return tell(
        "proof-answer-part-read-hours-read",
        count=count,
        share_of_hours=figure("share_of_hours", _share_read(read)),
        left=left,
    )


def _count(number: int) -> str:
    return say("count", number=number)


def _verdict(
    saved: Estimate | Absent, promised: Estimate | Absent, read: tuple[StepRead, ...], reason: str | None, held: str
) -> tuple[Verdict, Phrase]:
    """The saving against its promise. Where the measured interval holds both nought and the promise, these meters cannot tell.

    :param reason: why steps were not read, where somebody said it; without it a part of the year keeps no promise.
    :param held: against what both are told, in words, where Options tell it against something else.
    """
    if isinstance(saved, Absent):
        provable = any(one.told.after for one in read)
        return (
            (Verdict.UNPROVABLE, (say("proof-answer-verdict-provable", why=saved.why),))
            if provable
            else (Verdict.WAITS, (saved.why,))
        )
    if isinstance(promised, Absent):
        return Verdict.WAITS, (promised.why,)
    told_saved, told_promised = figure("energy", saved, "measured"), figure("energy", promised, "estimated")
    base: Phrase = tell(
        "proof-answer-verdict-measured-year", told_saved=told_saved, told_promised=told_promised, held=held
    )
    part = _part_read(read)
    rest: Phrase = (
        tell("proof-answer-verdict-year", part=part, reason=f": {reason.strip()}." if reason else ".")
        if part
        else (".",)
    )
    apart = abs(saved.value - promised.value)
    if abs(saved.value) <= saved.uncertainty and apart <= math.hypot(saved.uncertainty, promised.uncertainty):
        return Verdict.UNPROVABLE, tell("proof-answer-verdict-measured-uncertainty", base=base, rest=rest)
    if apart <= math.hypot(saved.uncertainty, promised.uncertainty):
        if part and not reason:
            return Verdict.SO_FAR, tell("proof-answer-verdict-within-uncertainty", base=base, rest=rest)
        kept = say("proof-answer-verdict-kept-promise") if not part else say("proof-answer-verdict-kept-promise-what")
        return Verdict.INSIDE, run_on(base, kept, rest)
    if saved.value > promised.value:
        return Verdict.ABOVE, tell("proof-answer-verdict-saves-more", base=base, rest=rest)
    return Verdict.BELOW, tell("proof-answer-verdict-falls-short", base=base, rest=rest)


def _saved_result(saved: Estimate | Absent) -> Result:
    label = say("label-saved-a-year-measured")
    if isinstance(saved, Absent):
        return not_known(label, saved)
    return result(
        label, "energy", saved, "Σ (W_0 − W_1) h ÷ 1000", (), say("proof-answer-saved-result-energy-definition"),
        (say("proof-answer-saved-result-over-steps"),),
    )  # fmt: skip


def _promised_result(promised: Estimate | Absent) -> Result:
    label = say("label-promised-for-these-steps")
    if isinstance(promised, Absent):
        return not_known(label, promised)
    return result(label, "energy", promised, say("proof-answer-promised-result-option-s"), (), say("word-options"))


def _comfort(job: Job) -> tuple[Phrase, ...]:
    """Evidence of comfort, apart from energy."""
    said = job.document.proof
    told: list[Phrase] = []
    for quantity, words, before, after in (
        ("cycles_per_hour", say("proof-answer-comfort-cycles"), said.cycles_before, said.cycles_after),
        ("humidity", say("proof-answer-comfort-humidity"), said.humidity_before, said.humidity_after),
    ):
        if before and after:
            told.append(
                tell(
                    "proof-answer-comfort-before-after",
                    words=words,
                    before=as_typed(quantity, before, "measured"),
                    after=as_typed(quantity, after, "measured"),
                )
            )
    return tuple(told)


def _logged(job: Job, read: tuple[StepRead, ...], year: Year) -> Phrase:
    """A logger's energy against the year that the steps give."""
    said = job.document.proof
    if not (said.logged_days and said.logged_energy and said.logged_days.si > 0):
        return ()
    a_year = said.logged_energy.si / said.logged_days.si * HOURS_IN_A_YEAR / HOURS_PER_DAY
    by_steps = sum(
        one.told.watts.figure.value * one.hours.value * year.machines / W_PER_KW
        for one in read
        if one.told.watts.figure and one.hours
    )
    return tell("proof-answer-logged", energy=as_typed("energy", said.logged_energy, "measured"), days=as_typed("days", said.logged_days, "measured"), energy_2=figure("energy", a_year, "measured"), energy_3=figure("energy", by_steps, "measured"))  # fmt: skip
