"""A closed loop on the chosen option: direction, set point, what each step then runs at, first gains, and gains after it hunted."""

from __future__ import annotations

import math
from dataclasses import replace

import numpy as np
from pydantic import Field

from modest_rotor.core.entry import Entry
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.phrase import Figure, Frozen, Phrase, as_typed, figure
from modest_rotor.core.physics.load import Load
from modest_rotor.core.physics.loop import Gains, Hunting, Process, Swing, calmer, first_gains
from modest_rotor.core.physics.system import SystemCurve
from modest_rotor.core.say import say, tell
from modest_rotor.core.setup.facts import SetupFacts
from modest_rotor.core.setup.loop_facts import PATHS, PRESSURES, HeldLoop
from modest_rotor.core.setup.loop_process import basis_of, process_of, set_point_of
from modest_rotor.core.setup.loop_words import (
    direction_of,
    failure_words,
    loop_sentences,
    loop_stop,
    restart_words,
    watch_words,
)
from modest_rotor.core.stations.loop import Holds, SeenSwing
from modest_rotor.core.working import Result, given, result, waiting, withheld

WATCH_TIMES, LEAST_WATCH_S, MOST_WATCH_S = 12.0, 30.0, 600.0
SEEN = {
    SeenSwing.QUIET: Swing.QUIET,
    SeenSwing.DIES_AWAY: Swing.DIES_AWAY,
    SeenSwing.LIVELY: Swing.LIVELY,
    SeenSwing.HUNTS: Swing.HUNTS,
}
SLOW_TIMES, SLOW_MOST = 1.5, 2.0
"""By how much a gain is raised where it crawls, and how far over the first one at the most. Our judgement, no source."""


class LoopRow(Frozen):
    """A duty step under the loop: what it runs at while the set point is held, and what it would need with nothing held."""

    name: str
    flow: Figure
    command: Figure
    free: Figure


class LoopAnswer(Frozen):
    """The loop. ``values`` names the sheet of its kind; ``full`` is the command that stands for 100 %."""

    holds: Holds
    values: str
    direction: Phrase
    full: Figure
    low: Figure
    at_full: Figure | None = Field(default=None, description="command of the step with the most flow")
    range: Figure | None = None
    set_point: Result
    process: Result
    dead: Figure | None = None
    lag: Figure | None = None
    gain: Result
    integral: Result
    tried_gain: Figure | None = None
    tried_integral: Figure | None = None
    next_gain: Figure | None = None
    next_integral: Figure | None = None
    next_words: Phrase = ()
    rows: tuple[LoopRow, ...] = ()
    least: Figure | None = Field(
        default=None, description="command at which it holds the set point with nothing flowing"
    )
    watch_for: Figure | None = Field(default=None, description="how long it is watched: several of its own times")
    is_restless: bool = Field(default=False, description="whether it was seen to swing or to crawl")
    sentences: tuple[Phrase, ...] = Field(default=(), description="of its set point and its sensor")
    watch: tuple[Phrase, ...] = ()
    failure: tuple[Phrase, ...] = ()
    restart: tuple[Phrase, ...] = ()
    stop: str | None = None


def loop_answer(facts: SetupFacts) -> LoopAnswer | None:
    """The loop of a job; nothing where none is wanted, or none can set the speed."""
    loop = facts.job.document.setup.loop
    if loop.holds is None or not facts.can_hold:
        return None
    held = HeldLoop(facts, loop, loop.holds)
    set_point, at_full = set_point_of(held)
    process, told = process_of(held, set_point)
    gain, integral = _first(held, told)
    first = first_gains(told) if told and not gain.waits else None
    following, words = _following(held, first)
    newest = held.newest
    rows, least = _rows(held, set_point) if set_point.figure and held.holds in PRESSURES else ((), None)
    return LoopAnswer(
        holds=held.holds,
        values=PATHS[held.holds],
        direction=direction_of(held),
        full=figure(held.command_quantity, held.high),
        low=figure(held.command_quantity, held.low),
        at_full=figure(held.command_quantity, share * held.high) if (share := held.full_share) else None,
        range=as_typed(held.span_quantity, span, "plate") if (span := held.values.span) else None,
        set_point=set_point,
        process=process,
        dead=figure("loop_time", told.dead_s, basis_of(held)) if told else None,
        lag=figure("loop_time", told.lag_s, basis_of(held)) if told and not told.integrates else None,
        gain=gain,
        integral=integral,
        tried_gain=_tried("loop_gain", newest.gain) if newest else None,
        tried_integral=_tried("loop_time", newest.integral) if newest else None,
        next_gain=figure("loop_gain", following.gain) if following else None,
        next_integral=figure("loop_time", following.integral_s) if following else None,
        next_words=words,
        watch_for=figure("loop_time", watch_s(told)) if told else None,
        rows=rows,
        is_restless=newest is not None and newest.seen in (SeenSwing.LIVELY, SeenSwing.HUNTS, SeenSwing.SLOW),
        least=least,
        sentences=loop_sentences(held, set_point, at_full),
        watch=watch_words(held, first),
        failure=failure_words(held),
        restart=restart_words(held),
        stop=loop_stop(held, told, set_point),
    )


def watch_s(process: Process) -> float:
    """Seconds after which a loop on a process has settled or shown how it swings. Our judgement, no source."""
    own = process.dead_s if process.integrates else process.dead_s + process.lag_s
    return min(max(WATCH_TIMES * own, LEAST_WATCH_S), MOST_WATCH_S)


def _tried(quantity: str, entry: Entry | None) -> Figure | None:
    return as_typed(quantity, entry, "typed") if entry else None


def _first(held: HeldLoop, process: Process | None) -> tuple[Result, Result]:
    labels = say("setup-loop-first-first-gain"), say("setup-loop-first-first-integral")
    if process is None:
        words = say("setup-loop-first-waits-how")
        return waiting(labels[0], (words,)), waiting(labels[1], (words,))
    try:
        gains = first_gains(process)
    except OutsideValidity as refusal:
        return withheld(labels[0], tell("setup-loop-first-withheld", refusal=refusal.sentence)), withheld(
            labels[1], tell("setup-loop-first-withheld", refusal=refusal.sentence)
        )
    source = say("setup-loop-first-s-skogestad")
    k = given("k", say("setup-loop-first-value-follows"), "loop_gain", abs(process.gain), basis_of(held))
    dead = given("θ", say("setup-loop-first-dead-time"), "loop_time", process.dead_s, basis_of(held))
    if process.integrates:
        return (
            result(labels[0], "loop_gain", abs(gains.gain), "K = 1 ÷ (k′ × 2 θ)", (k, dead), source),
            result(labels[1], "loop_time", gains.integral_s, "T = 8 θ", (dead,), source),
        )
    lag = given("τ", say("setup-loop-first-lag"), "loop_time", process.lag_s, basis_of(held))
    return (
        result(labels[0], "loop_gain", abs(gains.gain), "K = τ ÷ (k × 2 θ)", (k, dead, lag), source),
        result(labels[1], "loop_time", gains.integral_s, say("setup-loop-first-t-less"), (dead, lag), source),
    )


def _following(held: HeldLoop, first: Gains | None) -> tuple[Gains | None, Phrase]:
    """What to set next, by what was seen at the gains as they are set."""
    tried = held.newest
    if tried is None or tried.seen is None:
        return None, ()
    if tried.gain is None or tried.integral is None:
        return None, (say("setup-loop-following-type-gain"),)
    now = Gains(tried.gain.si, tried.integral.si)
    if tried.seen is SeenSwing.SLOW:
        most = SLOW_MOST * abs(first.gain) if first else math.inf
        gain = min(SLOW_TIMES * now.gain, max(most, now.gain))
        if gain <= now.gain:
            return None, (say("setup-loop-following-gain-stands"),)
        return replace(now, gain=gain), (say("setup-loop-following-crawls-half"),)
    swing = SEEN[tried.seen]
    if swing in (Swing.QUIET, Swing.DIES_AWAY):
        return None, (say("setup-loop-following-so-loop"),)
    if tried.period is None:
        return None, (say("setup-loop-following-time-one"),)
    if swing is Swing.HUNTS:
        words: Phrase = (say("setup-loop-following-hunts-put"),)
    else:
        words = (say("setup-loop-following-too-lively"),)
    return calmer(now, Hunting(swing, tried.period.si)), words


def _rows(held: HeldLoop, set_point: Result) -> tuple[tuple[LoopRow, ...], Figure | None]:
    """Each duty step while the set point is held: what lies behind the sensor is throttled, what lies before it loses as it did."""
    machine, full, share = held.machine, set_point.figure, held.full_share
    if not machine.pressure_is_measured or held.left is None or share is None or full is None:
        return (), None
    target, exponent = full.value, machine.exponent.value
    growing = max(machine.pressure.value * (1 - held.left), 0.0)
    before = SystemCurve(target, growing / machine.flow.value**exponent, exponent)
    load = Load(machine.curve, machine.speed.value, before)
    per_rpm = share * held.high / machine.speed.value
    rows = []
    for step in held.facts.option.steps:
        free = next((piece for piece in step.setting if not isinstance(piece, str)), None)
        if step.demand is None or free is None or step.flow is None:
            continue
        asked = step.demand.value
        rpm, found = load.at_flow(asked if step.demand.quantity != "relative_flow" else asked * machine.flow.value)
        if not found:
            continue
        command = min(max(float(rpm) * per_rpm, held.low), held.high)
        rows.append(
            LoopRow(
                name=step.name,
                flow=step.demand,
                command=figure(held.command_quantity, command, "estimated"),
                free=figure(held.command_quantity, free.value, "estimated"),
            )
        )
    closed = float(machine.curve.pressure_at(np.array(0.0), np.array(1.0)))
    least = None
    if closed > target > 0:
        least = figure(
            held.command_quantity, max(share * held.high * math.sqrt(target / closed), held.low), "estimated"
        )
    return tuple(rows), least
