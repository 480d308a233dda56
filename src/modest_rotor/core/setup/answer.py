"""Everything that Set-up answers: steps, commands, the drive, the sweep, what is left behind; or what it waits for."""

from __future__ import annotations

from dataclasses import replace
from typing import Any

from pydantic import Field

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.job import Job
from modest_rotor.core.options.compare import OptionsAnswer
from modest_rotor.core.options.contract import OptionKind
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.outcome import Absent
from modest_rotor.core.phrase import Figure, Frozen, Phrase, figure
from modest_rotor.core.say import say, tell
from modest_rotor.core.setup.commands import CommandAnswer, command_answers
from modest_rotor.core.setup.drive_settings import DriveAnswer, drive_answer, frequency_limits
from modest_rotor.core.setup.facts import SetupFacts
from modest_rotor.core.setup.loop import LoopAnswer, loop_answer
from modest_rotor.core.setup.steps import SetupStep, setup_steps
from modest_rotor.core.setup.sweep import SweepPlan, frequencies, plan_sweep
from modest_rotor.core.setup.volts import SelectorAnswer, selector_answer
from modest_rotor.core.stations.options import Candidate

USUAL_STEP_HZ, USUAL_HOLD_S = 1.0, 4.0
"""Step and hold time of a sweep where nothing is said. Common practice, no source."""
KEPT = Candidate(id="keep", kind=OptionKind.KEEP)


class SkipBand(Frozen):
    """A band of frequencies."""

    low: Figure
    high: Figure


class SweepAnswer(Frozen):
    """The sweep: its frequencies, what it came to, in words and as values for the drive."""

    frequencies: tuple[float, ...]
    step: Figure
    hold: Figure
    loud: tuple[Figure, ...]
    skips: tuple[SkipBand, ...]
    low: Figure
    high: Figure
    sentences: tuple[Phrase, ...]
    stop: str | None = None
    done: bool = False
    most_bands: int


class SetupAnswer(Frozen):
    """The answer of Set-up."""

    formerly = (("voltage_selector", "link"),)

    waits: str | None
    option: str | None = None
    title: str | None = None
    steps: tuple[SetupStep, ...] = ()
    voltage_selector: SelectorAnswer = SelectorAnswer()
    commands: tuple[CommandAnswer, ...] = ()
    drive: DriveAnswer | None = None
    sweep: SweepAnswer | None = None
    can_hold: bool = Field(default=False, description="whether a loop can set its speed")
    loop: LoopAnswer | None = None
    stops: tuple[Phrase, ...] = ()
    done: int = 0
    tolerance: Figure | None = None


def setup_answer(job: Job, options: OptionsAnswer, machine: FoundMachine | Absent) -> SetupAnswer:
    """Set-up of the option that was chosen, on the repaired machine.

    :param machine: put right, or the sentence that says what it waits for.
    """
    decision = job.document.decision
    option = next((one for one in options.options if one.id == decision.chosen), None)
    if isinstance(machine, Absent):
        return SetupAnswer(waits=machine.why)
    if option is None:
        return SetupAnswer(waits=say("term-waits-for-decision"))
    if option.stop:
        return SetupAnswer(
            waits=say("setup-answer-stopped", letter=option.letter, stop=option.stop),
            option=option.letter,
            title=option.title,
        )
    candidate = next((one for one in job.document.options.candidates if one.id == option.id), KEPT)
    facts = SetupFacts(job, option, candidate, machine)
    drive = drive_answer(facts) if facts.on_drive else None
    sweep, plan = _sweep(facts) if facts.on_drive else (None, None)
    selector = selector_answer(job.document.setup)
    loop = loop_answer(facts)
    steps = setup_steps(facts, selector, drive, loop)
    stops = tuple(phrase for step in steps if step.stopped for phrase in (_stop_words(step),))
    if sweep and sweep.stop:
        stops = (*stops, (sweep.stop,))
    if loop and loop.stop:
        stops = (*stops, (loop.stop,))
    return SetupAnswer(
        waits=None,
        option=option.letter,
        title=option.product or option.title,
        steps=steps,
        voltage_selector=selector,
        commands=command_answers(facts, plan),
        drive=drive,
        sweep=sweep,
        can_hold=facts.can_hold,
        loop=loop,
        stops=stops,
        done=sum(not step.is_open for step in steps),
        tolerance=figure("tolerance", facts.tolerance, "typed" if job.document.setup.tolerance else "assumed"),
    )


def _stop_words(step: SetupStep) -> Phrase:
    if step.stop:
        return tell("setup-answer-stop-words-step", number=step.number, stop=step.stop)
    assert step.signed is not None
    said = f", {step.signed.found}" if step.signed.found else ""
    return (say("setup-answer-stop-words-step-stopped", number=step.number, who=step.signed.who, said=said),)


def _sweep(facts: SetupFacts) -> tuple[SweepAnswer, SweepPlan | None]:
    asked, limits, traits = facts.job.document.setup.sweep, frequency_limits(facts), facts.drive_traits
    low = max(asked.low.si if asked.low else limits.low, limits.low)
    high = min(asked.high.si if asked.high else limits.high, limits.high)
    step = asked.step.si if asked.step else USUAL_STEP_HZ
    margin = asked.margin.si if asked.margin else step / 2
    marks = tuple(mark.frequency.si for mark in asked.marks if mark.frequency)
    done = asked.swept_up == "yes" and asked.swept_down == "yes"
    common: dict[str, Any] = {
        "step": figure("step_frequency", step),
        "hold": figure("hold_time", asked.hold.si if asked.hold else USUAL_HOLD_S),
        "loud": tuple(figure("output_frequency", mark, "measured") for mark in sorted(set(marks))),
        "most_bands": traits.most_bands,
        "done": done,
    }
    try:
        grid = frequencies(low, high, step)
        swept = plan_sweep(marks, low, high, step, margin, traits)
    except OutsideValidity as refusal:
        common |= {"low": figure("output_frequency", low), "high": figure("output_frequency", high)}
        return SweepAnswer(**common, frequencies=(), skips=(), sentences=(), stop=refusal.sentence), None
    # What was not swept stays allowed: only what was heard moves a limit.
    plan = replace(
        swept, low=limits.low if swept.low == low else swept.low, high=limits.high if swept.high == high else swept.high
    )
    answer = SweepAnswer(
        **common,
        frequencies=grid,
        skips=tuple(SkipBand(low=_hz(band.low), high=_hz(band.high)) for band in plan.skips),
        low=_hz(plan.low),
        high=_hz(plan.high),
        sentences=(*_sentences(swept, low, high, bool(marks)), *_not_swept(plan, low, high)),
        stop=MOSTLY_LOUD if plan.mostly else None,
    )
    return answer, plan if marks and not plan.mostly else None


def _not_swept(plan: SweepPlan, low: float, high: float) -> tuple[Phrase, ...]:
    """What the drive may run at and nobody has listened to."""
    said: list[Phrase] = []
    if plan.low < low:
        said.append(tell("setup-answer-not-swept-swept-below", hz=_hz(low), hz_2=_hz(plan.low)))
    if plan.high > high:
        said.append(tell("setup-answer-not-swept-swept-above", hz=_hz(high), hz_2=_hz(plan.high)))
    return tuple(said)


MOSTLY_LOUD = say("setup-answer-mostly-loud")


def _hz(value: float) -> Figure:
    return figure("output_frequency", value)


def _sentences(plan: SweepPlan, low: float, high: float, marked: bool) -> tuple[Phrase, ...]:
    if plan.mostly or not marked:
        return ()
    said: list[Phrase] = []
    if plan.high < high:
        said.append(tell("setup-answer-sentences-loud-top", hz=_hz(plan.high), hz_2=_hz(high)))
    if plan.low > low:
        said.append(tell("setup-answer-sentences-loud-bottom", hz=_hz(plan.low), hz_2=_hz(low)))
    for band in plan.skips:
        said.append(tell("setup-answer-sentences-skip", hz=_hz(band.low), hz_2=_hz(band.high)))
    if plan.joined:
        said.append(tell("setup-answer-sentences-more-bands", hz=_hz(plan.joined)))
    for band in plan.left:
        said.append(tell("setup-answer-sentences-loud-skipped", hz=_hz(band.low), hz_2=_hz(band.high)))
    return tuple(said)
