"""What is to be said of a closed loop: its direction, what its sensor does when it fails, what must not be closed."""

from __future__ import annotations

from modest_rotor.core.phrase import Phrase, figure
from modest_rotor.core.physics.loop import Gains, Process
from modest_rotor.core.say import say, tell
from modest_rotor.core.setup.loop_facts import PRESSURES, HeldLoop
from modest_rotor.core.stations.loop import Holds, OnFailure, Restart, SensorPlace
from modest_rotor.core.working import Result

SET_LEAST, SET_MOST = 0.9, 1.15
"""Shares by which a held pressure may lie under the set point on Duty, and over what was read at full flow, before it is told."""
SLOW_RAMP = 10.0
"""Ramp over integral time from which a loop hunts by its ramp. Our judgement, no source."""


def direction_of(held: HeldLoop) -> Phrase:
    """Which way the controller acts, as controllers call it."""
    if held.raises is None:
        return (say("loop-words-direction-of-say-what"),)
    if held.raises:
        return (say("loop-words-direction-of-reverse-acting"),)
    return (say("loop-words-direction-of-direct-acting"),)


def loop_sentences(held: HeldLoop, set_point: Result, at_full: float | None) -> tuple[Phrase, ...]:
    """What is to be said of set point and sensor; ``at_full`` is what the sensor reads at full flow, Pa."""
    loop, said = held.loop, list[Phrase]()
    target = set_point.figure.value if set_point.figure else None
    if held.holds in PRESSURES and target is not None and target > 0:
        fixed = held.machine.fixed_pressure.value
        if fixed < SET_LEAST * target:
            known = figure(held.quantity, fixed, "typed")
            said.append(
                tell("loop-words-loop-sentences-duty-reckons", known=known, figure=figure(held.quantity, target))
            )  # fmt: skip
        if at_full is not None and target > at_full * SET_MOST:
            said.append(
                tell("loop-words-loop-sentences-more-sensor", figure=figure(held.quantity, at_full, "estimated"))
            )  # fmt: skip
        if loop.place is SensorPlace.UNIT:
            said.append((say("loop-words-loop-sentences-unit-whole"),))
        if loop.left is None and loop.place is not None:
            said.append((say("loop-words-loop-sentences-read-total"),))
    return tuple(said)


def watch_words(held: HeldLoop, first: Gains | None) -> tuple[Phrase, ...]:
    """What hunting looks like, and what else can make a value swing."""
    said: list[Phrase] = [(say("loop-words-watch-words-hunting-speed"),)]
    typed = held.facts.job.document.setup.drive.ramp_up
    if typed and first and typed.si > SLOW_RAMP * first.integral_s:
        said.append((say("loop-words-watch-words-ramp-far"),))
    return tuple(said)


def failure_words(held: HeldLoop) -> tuple[Phrase, ...]:
    """What a lost sensor does: at nought it reads as a value too low, so the loop goes to the end that the direction tells."""
    if held.raises is None:
        return ()
    end = say("loop-words-failure-words-full-speed") if held.raises else say("loop-words-failure-words-lowest-speed")
    said: list[Phrase] = [(say("loop-words-failure-words-sensor-fails", end=end),)]
    failure = held.loop.on_failure
    if failure is OnFailure.STOPS and held.facts.job.document.call.is_protected:
        said.append((say("loop-words-failure-words-duty-protected"),))
    if failure is OnFailure.STAYS:
        said.append((say("loop-words-failure-words-stays-speed"),))
    return tuple(said)


def restart_words(held: HeldLoop) -> tuple[Phrase, ...]:
    """What it does when power comes back."""
    restart = held.loop.restart
    if restart is Restart.BY_ITSELF:
        return ((say("loop-words-restart-words-starts-itself"),),)
    if restart is Restart.BY_HAND and held.facts.job.document.call.is_protected:
        return ((say("loop-words-restart-words-duty-protected"),),)
    return ()


def loop_stop(held: HeldLoop, process: Process | None, set_point: Result) -> str | None:
    """Why the loop must not be closed as it stands."""
    values, target = held.values, set_point.figure
    if process is not None and held.raises is not None and process.gain and (process.gain > 0) is not held.raises:
        return say("loop-words-loop-stop-step-test")
    if target and values.span and held.holds is not Holds.SPACE and target.value > values.span.si:
        return say("loop-words-loop-stop-set-point")
    return None
