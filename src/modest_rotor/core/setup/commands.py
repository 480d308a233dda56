"""The command of each duty step: tap, dial, volts or hertz; what its neighbours would give; and the way to the right flow."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from pydantic import Field

from modest_rotor.core.errors import OutsideValidity, Refusal
from modest_rotor.core.estimate import Estimate
from modest_rotor.core.options.answer_steps import flow_quantity
from modest_rotor.core.options.answers import StepAnswer
from modest_rotor.core.options.contract import AS_FULL, Asked
from modest_rotor.core.options.rating import electronic_rating
from modest_rotor.core.options.torque_taps import solve_taps, torques
from modest_rotor.core.options.traits import Holds, SetBy
from modest_rotor.core.phrase import Figure, Frozen, Phrase, figure
from modest_rotor.core.say import Number, say, tell
from modest_rotor.core.setup.balancing import Advice, Outcome, Tried, advise, advise_tap
from modest_rotor.core.setup.command import signal_for_share
from modest_rotor.core.setup.drive_settings import frequency_limits
from modest_rotor.core.setup.facts import SetupFacts
from modest_rotor.core.setup.plate_loop import is_set_by_plate, plate_advice
from modest_rotor.core.setup.sweep import SweepPlan, out_of_bands
from modest_rotor.core.setup.trial_flow import flow_of
from modest_rotor.core.stations.setup import Trial

LEAST_SHARE = 0.10
"""Least share of full speed that is tried where the device says no more. Our judgement, no source."""
MOVED = 0.1
"""Hertz by which a step must be moved to be told."""


class Neighbour(Frozen):
    """What another setting would give."""

    words: str
    flow: Figure


class TrialAnswer(Frozen):
    """A setting that was tried, and the flow that its reading stands for."""

    formerly = (("setting", "told"),)

    id: str
    setting: Phrase
    flow: Figure | None
    by: str


class AdviceAnswer(Frozen):
    """What to do next on one step."""

    formerly = (("setting", "told"),)

    outcome: Outcome
    command: Figure | None = None
    setting: Phrase
    sentence: Phrase
    proved: bool = False


class CommandAnswer(Frozen):
    """One duty step: its setting, what that is expected to give, and how far the loop has come."""

    formerly = (("setting", "told"),)

    step: str
    name: str
    call: str | None
    setting: Phrase
    command: Figure | None
    wanted: Figure | None
    expected: Figure | None
    moved: Phrase = ()
    neighbours: tuple[Neighbour, ...] = ()
    note: str = ""
    trials: tuple[TrialAnswer, ...] = ()
    advice: AdviceAnswer | None = None
    by_plate: bool = Field(default=False, description="whether a plate, damper or sheave sets it, and nothing else")
    waits: str | None = None


def command_answers(facts: SetupFacts, plan: SweepPlan | None) -> tuple[CommandAnswer, ...]:
    """The command of every duty step.

    :param plan: what the noise sweep came to, where there was one.
    """
    taps = _taps(facts) if facts.traits.set_by is SetBy.TORQUE_TAPS else ()
    duty = {step.id: step for step in facts.job.document.duty.steps}
    answers = []
    for step in facts.option.steps:
        asked = duty.get(step.id)
        call = str(asked.call) if asked and asked.call else None
        answers.append(_answer(facts, step, call, plan, taps))
    return tuple(answers)


def _answer(
    facts: SetupFacts,
    step: StepAnswer,
    call: str | None,
    plan: SweepPlan | None,
    taps: tuple[tuple[str, Estimate], ...],
) -> CommandAnswer:
    solved = next((piece for piece in step.setting if not isinstance(piece, str)), None)
    wanted = step.demand
    common: dict[str, Any] = {"step": step.id, "name": step.name, "call": call, "wanted": wanted, "expected": step.flow}
    if step.flow is None:
        return CommandAnswer(**common, setting=(), command=None, waits=step.note or say("term-waits-for-options"))
    if facts.traits.set_by is SetBy.TORQUE_TAPS:
        return _tap_answer(facts, step, taps, common)
    if solved is None or facts.traits.set_by is SetBy.ITSELF:
        setting: Phrase = step.setting or (say("commands-answer-stands"),)
        if facts.traits.set_by is SetBy.ITSELF and wanted:
            setting = (
                tell("commands-answer-airflow-typed", wanted=wanted)
                if facts.traits.holds is Holds.AIRFLOW
                else tell("commands-answer-pressure-set", setting=step.setting)
            )
        return CommandAnswer(
            **common, setting=setting, command=None, by_plate=is_set_by_plate(facts), **_loop(facts, step, None)
        )
    hertz = solved.value
    moved: Phrase = ()
    if facts.on_drive:
        limits = frequency_limits(facts)
        inside = out_of_bands(hertz, plan or SweepPlan((), limits.low, limits.high))
        if abs(inside - hertz) > MOVED and facts.curve:
            moved = _moved(facts, hertz, inside, step.flow)
            common["expected"] = figure(
                step.flow.quantity, facts.curve(inside) / facts.curve(hertz) * step.flow.value, "estimated"
            )
        hertz = inside
    setting, note = command_words(facts, hertz)
    command = figure("output_frequency" if facts.on_drive else "signal", hertz)
    loop = _loop(facts, step, plan)
    notes = (note, str(loop.pop("note", "")))
    return CommandAnswer(
        **common, setting=setting, command=command, moved=moved, note=" ".join(one for one in notes if one), **loop
    )


def command_words(facts: SetupFacts, value: float) -> tuple[Phrase, str]:
    """A command as it is typed, dialled or measured; and what is to be said of it."""
    if facts.on_drive:
        return (figure("output_frequency", value),), ""
    if 1 < value <= AS_FULL:  # what no dial and no meter tells from full
        value = 1.0
    if facts.traits.set_by is not SetBy.SIGNAL or facts.by_dial:
        return tell("commands-command-words-dial", signal=figure("signal", value)), "" if value <= 1 else say(
            "commands-command-words-more-full"
        )
    if value > 1:
        return tell("commands-command-words-speed", signal=figure("signal", value)), say(
            "commands-command-words-more-full-speed"
        )
    try:
        volts = signal_for_share(facts.signal_traits, value)
    except OutsideValidity as refusal:
        return (figure("signal", value),), refusal.sentence
    return tell(
        "commands-command-words-speed-2",
        command_voltage=figure("command_voltage", volts),
        signal=figure("signal", value),
    ), ""


def _moved(facts: SetupFacts, from_hz: float, to_hz: float, flow: Figure) -> Phrase:
    assert facts.curve is not None
    change = facts.curve(to_hz) / facts.curve(from_hz) - 1
    return tell("commands-moved", output_frequency=figure("output_frequency", from_hz), output_frequency_2=figure("output_frequency", to_hz), change="+" if change > 0 else "", change_2=figure("change", change, "estimated"))  # fmt: skip


def _taps(facts: SetupFacts) -> tuple[tuple[str, Estimate], ...]:
    """Every torque tap with its flow on this machine, those that find no point left out."""
    rating = electronic_rating(facts.machine, facts.candidate)
    solved = solve_taps(facts.machine, rating, torques(Asked(None, facts.candidate)))
    return tuple((tap.set_words, tap.flow) for tap in solved if tap.flow is not None)


def _tap_answer(
    facts: SetupFacts, step: StepAnswer, taps: tuple[tuple[str, Estimate], ...], common: Mapping[str, Any]
) -> CommandAnswer:
    name = flow_quantity(facts.machine)
    named = next((piece for piece in step.setting if isinstance(piece, str)), "").split(",")[0].strip()
    place = next((i for i, (tap, _) in enumerate(taps) if tap == named), None)
    around = () if place is None else tuple(taps[i] for i in (place - 1, place + 1) if 0 <= i < len(taps))
    neighbours = tuple(Neighbour(words=tap, flow=figure(name, flow, "estimated")) for tap, flow in around)
    trials = _trials(facts, step.id)
    advice = None
    if taps and step.demand and facts.machine.flow_is_measured:
        numbers = {trial.id: trial.tap for trial in facts.job.document.setup.trials}
        read = tuple(
            (number - 1, answer.flow.value)
            for answer in trials
            if answer.flow and (number := numbers[answer.id]) is not None and number <= len(taps)
        )
        outcome, best = advise_tap(tuple(flow.value for _, flow in taps), read, step.demand.value, facts.tolerance)
        advice = AdviceAnswer(outcome=outcome, setting=(taps[best][0],), sentence=_tap_sentence(outcome, taps[best][0]))
    return CommandAnswer(
        **common,
        setting=() if place is None else (taps[place][0],),
        command=None,
        neighbours=neighbours,
        trials=trials,
        advice=advice,
    )


def _tap_sentence(outcome: Outcome, tap: str) -> Phrase:
    return {
        Outcome.BEGIN: (say("commands-tap-sentence-put-read", tap=tap),),
        Outcome.AGAIN: (say("commands-tap-sentence-now-what", tap=tap),),
        Outcome.INSIDE: (say("commands-tap-sentence-inside", tap=tap),),
        Outcome.CANNOT: (say("commands-tap-sentence-comes-nearest", tap=tap),),
    }[outcome]


def _loop(facts: SetupFacts, step: StepAnswer, plan: SweepPlan | None) -> dict[str, Any]:
    """The readings of one step, and what follows from the last."""
    trials = _trials(facts, step.id)
    if step.demand is None or not facts.machine.flow_is_measured:
        return {"trials": trials}
    if is_set_by_plate(facts):
        return {"trials": trials, "advice": _plate(facts, step)}
    if facts.curve is None:
        return {"trials": trials, "advice": _held_advice(trials, step.demand, facts)}
    commands = {trial.id: trial.frequency or trial.signal for trial in facts.job.document.setup.trials}
    pairs = [
        (Tried(entry.si, answer.flow.value), answer.flow.uncertainty or 0.0)
        for answer in trials
        if answer.flow and (entry := commands[answer.id]) is not None
    ]
    low, high = _range(facts, plan)
    uncertainty = pairs[-1][1] if pairs else 0.0
    try:
        advice = advise(
            facts.curve, tuple(one for one, _ in pairs), step.demand.value, low, high, facts.tolerance, uncertainty
        )
    except Refusal as refusal:
        return {"trials": trials, "note": refusal.sentence}
    last = next((answer.flow for answer in reversed(trials) if answer.flow), None)
    return {"trials": trials, "advice": _told(facts, advice, step.demand, last, plan)}


def _plate(facts: SetupFacts, step: StepAnswer) -> AdviceAnswer:
    own = tuple(trial for trial in facts.job.document.setup.trials if trial.step == step.id)
    assert step.demand is not None
    found = plate_advice(facts, own, tuple(flow_of(facts, trial)[0] for trial in own), step.demand)
    return AdviceAnswer(outcome=found.outcome, setting=(), sentence=found.sentence, proved=found.proved)


def _range(facts: SetupFacts, plan: SweepPlan | None) -> tuple[float, float]:
    if facts.on_drive:
        limits = frequency_limits(facts)
        return (plan.low, plan.high) if plan else (limits.low, limits.high)
    product, signal = facts.candidate.product, facts.signal_traits
    least = product.least_speed.si if product and product.least_speed else LEAST_SHARE
    dead = (signal.off_below_v - signal.zero_at_v) / (signal.full_at_v - signal.zero_at_v)
    return max(least, dead), 1.0


def _told(
    facts: SetupFacts, advice: Advice, wanted: Figure, last: Figure | None, plan: SweepPlan | None
) -> AdviceAnswer:
    command = advice.command
    if command is not None and facts.on_drive and plan:
        command = out_of_bands(command, plan)
    setting, _ = command_words(facts, command) if command is not None else ((), "")
    quantity = "output_frequency" if facts.on_drive else "signal"
    return AdviceAnswer(
        outcome=advice.outcome,
        command=figure(quantity, command) if command is not None else None,
        setting=setting,
        sentence=_sentence(facts, advice, setting, wanted, last),
        proved=advice.proved,
    )


def _sentence(facts: SetupFacts, advice: Advice, setting: Phrase, wanted: Figure, last: Figure | None) -> Phrase:
    if advice.outcome is Outcome.BEGIN:
        return tell("commands-sentence-set-let", told=setting)
    if advice.outcome is Outcome.AGAIN:
        return tell("commands-sentence-read-wanted", piece=_piece(last), wanted=wanted, told=setting)
    if advice.outcome is Outcome.CANNOT:
        return tell("commands-sentence-cannot-reached", reason=advice.reason, why=_why(facts))
    within: Phrase = tell(
        "commands-sentence-inside-wanted",
        tolerance=figure("tolerance", facts.tolerance),
        piece=_piece(last),
        wanted=wanted,
    )
    if advice.proved or last is None:
        return within
    share = (last.uncertainty or 0.0) / last.value
    return tell(
        "commands-sentence-reading-cannot",
        within=within,
        ratio=figure("ratio", share),
        tolerance=figure("tolerance", facts.tolerance),
    )


def _piece(flow: Figure | None) -> Phrase:
    return (flow,) if flow else ()


def _why(facts: SetupFacts) -> str:
    if facts.on_drive:
        return say("commands-why-look-limits")
    return say("commands-why-look-filter")


def _held_advice(trials: tuple[TrialAnswer, ...], wanted: Figure, facts: SetupFacts) -> AdviceAnswer:
    """A machine that holds its flow by itself, or stays as it is: read, and say whether it is inside."""
    last = next((answer.flow for answer in reversed(trials) if answer.flow), None)
    if last is None:
        return AdviceAnswer(outcome=Outcome.BEGIN, setting=(), sentence=(say("commands-held-advice-let-run"),))
    error = abs(last.value / wanted.value - 1)
    proved = error + (last.uncertainty or 0.0) / wanted.value <= facts.tolerance
    advice = Advice(
        Outcome.INSIDE if error <= facts.tolerance else Outcome.CANNOT,
        reason=say("commands-held-advice-reads-what", wanted=Number(100 * last.value / wanted.value, ".0f")),
        proved=proved,
    )
    return AdviceAnswer(
        outcome=advice.outcome, setting=(), sentence=_sentence(facts, advice, (), wanted, last), proved=proved
    )


def _trials(facts: SetupFacts, step: str) -> tuple[TrialAnswer, ...]:
    own = [trial for trial in facts.job.document.setup.trials if trial.step == step]
    answers = []
    for trial in own:
        flow, by = flow_of(facts, trial)
        quantity = flow_quantity(facts.machine)
        answers.append(
            TrialAnswer(
                id=trial.id,
                setting=_setting(facts, trial),
                flow=figure(quantity, flow, "measured") if flow else None,
                by=by,
            )
        )
    return tuple(answers)


def _setting(facts: SetupFacts, trial: Trial) -> Phrase:
    if trial.tap is not None:
        return (say("commands-setting-tap", tap=trial.tap),)
    if trial.opening is not None:
        return (str(trial.opening),)
    entry = trial.frequency or trial.signal
    return command_words(facts, entry.si)[0] if entry else (say("commands-setting-setting-said"),)
