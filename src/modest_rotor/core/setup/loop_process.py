"""How a held value follows its command: from a step that was read, else from machine and duct; and the set point at full flow."""

from __future__ import annotations

import math

from modest_rotor.core.entry import Entry
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.outcome import Absent, Waiting
from modest_rotor.core.phrase import Basis, as_typed
from modest_rotor.core.physics.fan import MachineType
from modest_rotor.core.physics.load import Load
from modest_rotor.core.physics.loop import Process, process_of_lags, process_of_step
from modest_rotor.core.say import say, tell
from modest_rotor.core.setup.drive_settings import FAN_RAMP_S, PUMP_RAMP_S
from modest_rotor.core.setup.loop_facts import PRESSURES, HeldLoop, has_step
from modest_rotor.core.stations.loop import Holds
from modest_rotor.core.working import Result, given, not_known, result, waiting, withheld

RAMP_FELT = 0.1
"""Share of a ramp that a loop feels as a lag: it moves its command by about a tenth. Our judgement, no source."""
LAGS_S = {
    Holds.DUCT: (1.5, 1.0, 0.3),
    Holds.DIFFERENTIAL: (1.0, 1.0, 0.3),
    Holds.COIL: (60.0, 15.0, 5.0),
    Holds.LEVEL: (0.0, 2.0, 1.0),
}
"""Lag of machine and medium, lag of the sensor, dead time, s, where no step was read. Our judgement, no source."""
LEAST_STEP = 0.03
"""Share of the range, and of full command, under which a step test tells more of its noise. Our judgement, no source."""
SMALL_BUMP = 1e-3


def set_point_of(held: HeldLoop) -> tuple[Result, float | None]:
    """The set point, typed or as read at the sensor at full flow; and that reading, where it can be worked out.

    :returns: Pa or K, as the loop holds. Source: definition; the share left at the sensor our judgement where it was not
    read.
    """
    label, typed = say("label-set-point"), held.values.set_point
    at_full = _at_full(held)
    if typed is not None:
        basis = as_typed(held.quantity, typed, "typed")
        return Result(label=label, figure=basis), at_full
    if held.holds not in PRESSURES:
        return waiting(label, tell("loop-process-set-point-of-type")), None
    if held.left is None:
        return waiting(label, tell("term-waits-for-where-the-sensor")), None
    if at_full is None:
        return waiting(label, tell("loop-process-set-point-of-waits-static")), None
    pressure = held.machine.pressure.value
    return result(
        label,
        held.quantity,
        at_full,
        say("loop-process-set-point-of-p-s"),
        (
            given("p", say("loop-process-set-point-of-total-external"), held.quantity, pressure, "measured"),
            given(
                "share",
                say("loop-process-set-point-of-left-sensor"),
                "pressure_left",
                held.left,
                "measured" if held.loop.left else "assumed",
            ),
        ),
        say("label-common-practice-no-source"),
        (say("loop-process-set-point-of-what-sensor"),),
    ), at_full


def _at_full(held: HeldLoop) -> float | None:
    if held.holds not in PRESSURES or not held.machine.pressure_is_measured or held.left is None:
        return None
    return held.left * held.machine.pressure.value


def process_of(held: HeldLoop, set_point: Result) -> tuple[Result, Process | None]:
    """How the value follows: from the step that was read, else from machine and duct with usual lags.

    :param set_point: that it is worked about. Source: textbook process reaction curve, of a step that was read;
    lags our judgement.
    """
    label, span = say("loop-process-process-of-range-each"), held.values.span
    if span is None or span.si <= 0:
        return waiting(label, tell("loop-process-process-of-waits-sensor")), None
    if has_step(held):
        return _from_step(held, label, span)
    slope = _slope(held, set_point)
    if isinstance(slope, Absent):
        return not_known(label, slope), None
    lag, sensor, dead = LAGS_S[held.holds]
    typed = held.facts.job.document.setup.drive.ramp_up
    ramp = typed.si if typed else PUMP_RAMP_S if held.machine.machine_type is MachineType.PUMP else FAN_RAMP_S
    felt = RAMP_FELT * ramp if held.facts.on_drive else 0.0
    gain = slope / span.si
    if held.holds is Holds.LEVEL:
        process = Process(gain, dead + sensor + felt, math.inf, integrates=True)
    else:
        process = process_of_lags(gain, [one for one in (lag, sensor, felt) if one > 0], dead)
    words = (
        say("loop-process-process-of-share-range")
        if process.integrates
        else say("loop-process-process-of-range-each-command")
    )
    return result(
        label,
        "loop_gain" if not process.integrates else "ratio",
        abs(gain),
        say("loop-process-process-of-slope-value"),
        (given("range", say("term-sensor-s-range"), held.span_quantity, span.si, "plate"),),
        say("loop-process-process-of-curve-duct"),
        (words,),
    ), process


def _from_step(held: HeldLoop, label: str, span: Entry) -> tuple[Result, Process | None]:
    values, loop = held.values, held.loop
    first, second = (
        (loop.hertz_before, loop.hertz_after) if held.facts.on_drive else (loop.signal_before, loop.signal_after)
    )
    assert first and second and values.before and values.after and loop.began and loop.two_thirds
    moved, commanded = (values.after.si - values.before.si) / span.si, (second.si - first.si) / held.high
    if abs(commanded) < LEAST_STEP:
        return withheld(label, tell("loop-process-from-step-withheld-command")), None
    if held.holds is Holds.LEVEL:
        return withheld(label, tell("loop-process-from-step-withheld-level")), None
    if abs(moved) < LEAST_STEP:
        return withheld(label, tell("loop-process-from-step-withheld-value")), None
    try:
        process = process_of_step(moved, commanded, loop.began.si, loop.two_thirds.si)
    except OutsideValidity as refusal:
        return withheld(label, tell("loop-process-from-step-withheld", refusal=refusal.sentence)), None
    return result(
        label,
        "loop_gain",
        abs(process.gain),
        say("loop-process-from-step-v-v"),
        (
            given("v₁", say("loop-process-from-step-value-before"), held.quantity, values.before.si, "measured"),
            given("v₂", say("loop-process-from-step-value-after"), held.quantity, values.after.si, "measured"),
            given("range", say("term-sensor-s-range"), held.span_quantity, span.si, "plate"),
            given("c₁", say("loop-process-from-step-command-before"), held.command_quantity, first.si, "measured"),
            given("c₂", say("loop-process-from-step-command-after"), held.command_quantity, second.si, "measured"),
        ),
        say("loop-process-from-step-textbook-process"),
        (say("loop-process-from-step-range-each"),),
    ), process


def _slope(held: HeldLoop, set_point: Result) -> float | Absent:
    """Slope of the value over the command as a share of full, at the fullest step; or what it waits for."""
    share = held.full_share
    if held.holds is Holds.SPACE:
        return Waiting(say("loop-process-slope-waits-step"))
    if share is None:
        return Waiting(say("loop-process-slope-waits-command"))
    machine = held.machine
    if held.holds is Holds.COIL:
        at = held.values.set_point
        return -at.si / share if at and at.si else Waiting(say("term-waits-for-a-set-point"))
    if held.holds is Holds.LEVEL:
        if held.loop.tank_area is None:
            return Waiting(say("loop-process-slope-waits-surface"))
        if held.raises is None:
            return Waiting(say("loop-process-slope-waits-what"))
        if not machine.flow_is_measured:
            return Waiting(say("loop-process-slope-waits-flow"))
        rate = machine.flow.value / share / held.loop.tank_area.si
        return rate if held.raises else -rate
    if held.left is None:
        return Waiting(say("term-waits-for-where-the-sensor"))
    if not machine.pressure_is_measured:
        return Waiting(say("loop-process-slope-waits-static"))
    load = Load(machine.curve, machine.speed.value, machine.system)
    up, down = (float(load.at_motor_speed(machine.speed.value * (1 + by)).pressure) for by in (SMALL_BUMP, -SMALL_BUMP))
    return held.left * (up - down) / (2 * SMALL_BUMP) / share


def basis_of(held: HeldLoop) -> Basis:
    """What the process stands on."""
    return "measured" if has_step(held) else "assumed"
