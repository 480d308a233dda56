"""What is to be said of a closed loop: its direction, what its sensor does when it fails, what must not be closed."""

from __future__ import annotations

from modest_rotor.core.phrase import Phrase, figure
from modest_rotor.core.physics.loop import Gains, Process
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
        return ("say what more speed does to it: the loop runs away the wrong way round",)
    if held.raises:
        return ("Reverse acting: below its set point it speeds up, because more speed raises the value.",)
    return ("Direct acting: above its set point it speeds up, because more speed lowers the value.",)


def loop_sentences(held: HeldLoop, set_point: Result, at_full: float | None) -> tuple[Phrase, ...]:
    """What is to be said of set point and sensor; ``at_full`` is what the sensor reads at full flow, Pa."""
    loop, said = held.loop, list[Phrase]()
    target = set_point.figure.value if set_point.figure else None
    if held.holds in PRESSURES and target is not None and target > 0:
        fixed = held.machine.fixed_pressure.value
        if fixed < SET_LEAST * target:
            known = figure(held.quantity, fixed, "typed")
            said.append(
                ("Duty reckons with ", known, " that stays at no flow; this loop holds ", figure(held.quantity, target),
                 ". Type it on Duty, or the saving at part flow is told too high.")
            )  # fmt: skip
        if at_full is not None and target > at_full * SET_MOST:
            said.append(
                ("More than the ", figure(held.quantity, at_full, "estimated"),
                 " that the sensor reads at full flow: it will run at full speed and never get there.")
            )  # fmt: skip
        if loop.place is SensorPlace.UNIT:
            said.append(("At the unit the whole duct’s pressure is held at every flow. Two thirds along saves more.",))
        if loop.left is None and loop.place is not None:
            said.append(
                (
                    "Read total external static and the static at the sensor at once, at full flow: the share here is only usual.",
                )
            )
    return tuple(said)


def watch_words(held: HeldLoop, first: Gains | None) -> tuple[Phrase, ...]:
    """What hunting looks like, and what else can make a value swing."""
    said: list[Phrase] = [
        (
            "Hunting is a speed that swings up and down by itself with the same beat, heard at the wheel and seen on the clamp. A"
            " damper or valve that another loop moves can do the same: put that one in hand before this gain is blamed.",
        )
    ]
    typed = held.facts.job.document.setup.drive.ramp_up
    if typed and first and typed.si > SLOW_RAMP * first.integral_s:
        said.append(
            ("The ramp is far slower than the loop, which hunts by it: a shorter ramp, or a longer integral time.",)
        )
    return tuple(said)


def failure_words(held: HeldLoop) -> tuple[Phrase, ...]:
    """What a lost sensor does: at nought it reads as a value too low, so the loop goes to the end that the direction tells."""
    if held.raises is None:
        return ()
    end = "full speed" if held.raises else "its lowest speed"
    said: list[Phrase] = [
        (
            f"A sensor that fails at nought sends this loop to {end}: know what duct, pipe or coil bears there. Pull its wire and see.",
        )
    ]
    failure = held.loop.on_failure
    if failure is OnFailure.STOPS and held.facts.job.document.call.is_protected:
        said.append(("The duty is protected: a failed sensor must not stop it. Let it go to a set speed.",))
    if failure is OnFailure.STAYS:
        said.append(
            ("It stays at the speed of the moment, right or wrong, until somebody comes: let it alarm as well.",)
        )
    return tuple(said)


def restart_words(held: HeldLoop) -> tuple[Phrase, ...]:
    """What it does when power comes back."""
    restart = held.loop.restart
    if restart is Restart.BY_ITSELF:
        return (("It starts by itself when power comes back: a notice at the machine, and nobody at the wheel.",),)
    if restart is Restart.BY_HAND and held.facts.job.document.call.is_protected:
        return (("The duty is protected: after a power cut it stands until somebody comes. Is that meant?",),)
    return ()


def loop_stop(held: HeldLoop, process: Process | None, set_point: Result) -> str | None:
    """Why the loop must not be closed as it stands."""
    values, target = held.values, set_point.figure
    if process is not None and held.raises is not None and process.gain and (process.gain > 0) is not held.raises:
        return (
            "The step test went the other way than this kind does: hoses or wires of the sensor are crossed, or the direction is"
            " wrong. Closed like this it runs away to an end."
        )
    if target and values.span and held.holds is not Holds.SPACE and target.value > values.span.si:
        return "The set point lies above the sensor’s range: the loop would run at an end for good."
    return None
