"""The motor of today solved where nothing was read: throttled along its curve, or on a lower tap."""

from __future__ import annotations

from dataclasses import replace

import numpy as np

from modest_rotor.core.estimate import Array, exactly, measured
from modest_rotor.core.identify.candidate import usual_tap
from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.options.contract import (
    CURVE,
    Columns,
    Demand,
    How,
    Saying,
    SolvedStep,
    curve_and_system,
    solve_steps,
)
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.solved import FARTHEST_SLIP, RAD_PER_RPM, TAP_SLIP, run_on, stacked
from modest_rotor.core.physics.load import Load
from modest_rotor.core.physics.supply import Supply
from modest_rotor.core.say import say

UNREAD_TAP_SHARE = {"flow": 0.03, "watts": 0.11}
"""How far flow and watts of a tap that was never read stray beside its turns (its wire, where its currents go), standard deviation
as a share. Our judgement, no source; held against the second population of truths."""
TAP_ASSUMED = say("keep-solved-tap-assumed")
TAP_UNREAD = say("keep-solved-tap-unread")
TAP_MOVED = say("keep-solved-tap-moved")
TAP_SOLVED = say("keep-solved-tap-solved")


def solved_throttled(found: FoundMachine, demands: tuple[Demand, ...]) -> dict[str, SolvedStep]:
    """Each step with the damper holding its flow: the fitted motor finds its own speed there.

    Speed and watts found are measured; only their change along the curve is taken from the motor.

    :param found: with a fitted motor. :param demands: shares of full flow.

    Source: motor by its fields, Fitzgerald, Kingsley and Umans, ch. 6 and 9; curve generic, our judgement.
    """
    own = found.own
    assert own is not None
    shares = np.array([1.0, *(demand.share for demand in demands)])

    def work(*columns: Array) -> Columns:
        curve, (speed, watts, volts, amps_found) = columns[:CURVE], columns[CURVE : len(fixed)]
        machine, _ = curve_and_system(found, *curve)
        part = curve[0] * shares
        motor = stacked(own.family, columns[len(fixed) :])
        supply = Supply(volts, own.plate.frequency_hz)

        def torque_at(rpm: Array) -> Array:
            return np.asarray(machine.power_at(part, rpm / speed) / (rpm * RAD_PER_RPM))

        at = run_on(own.family, motor, supply, torque_at, part.shape)
        rpm = speed * at.speed_rpm[:, 1:] / at.speed_rpm[:, :1]
        power = machine.power_at(part[:, 1:], rpm / speed)
        taken = watts * at.input_power_w[:, 1:] / at.input_power_w[:, :1]
        amps = amps_found * at.current_a[:, 1:] / at.current_a[:, :1]
        return Columns(part[:, 1:], machine.pressure_at(part[:, 1:], rpm / speed), rpm, power, taken, amps)

    fixed = (*found.curve_inputs, found.speed, found.input_power, found.volts, found.current or exactly(np.nan))
    ids = tuple(demand.id for demand in demands)
    outside = say("keep-solved-solved-throttled-damper-would")
    solved = solve_steps(ids, work, (*fixed, *own.estimates), Saying(How.SOLVED_THROTTLED, outside))
    return {
        name: step if step.absent else step.noted(say("keep-solved-solved-throttled-throttled-motor"))
        for name, step in solved.items()
    }


def solved_tap(found: FoundMachine, tap: str, step_id: str) -> SolvedStep | None:
    """A lower tap of the fitted motor on the same system; nothing where the motor has no such tap or was not fitted.

    :param tap: its name; where no reading on it taught its extra turns, they are taken as usual.
    :param found: with a fitted capacitor motor. Source: as :func:`solved_throttled`.
    """
    own = found.own
    if own is None or own.plate.kind is not MotorKind.SPLIT_CAPACITOR:
        return None
    read = tap in own.family.index
    usual = usual_tap(tap)
    log_turns = exactly(0.0) if read else measured(0.0, **{f"extra turns of the {tap}": usual.spread})

    def work(*columns: Array) -> Columns:
        curve, (speed, watts, volts, off, amps_found) = columns[:CURVE], columns[CURVE : len(fixed)]
        machine, system = curve_and_system(found, *curve)
        numbers = np.stack(np.broadcast_arrays(*columns[len(fixed) :]), axis=-1)
        motor = stacked(own.family, columns[len(fixed) :])
        load = Load(machine, speed, system)
        turns = own.family.tap(tap, numbers) if read else usual.turns * np.exp(off)
        line = own.family.tap_in_line(numbers) if read else 0.5 + 0 * turns
        lower = Supply(volts, own.plate.frequency_hz, tap=turns, tap_in_line=line)
        high = Supply(volts, own.plate.frequency_hz)

        def torque_at(rpm: Array) -> Array:
            return np.asarray(load.torque_at(rpm))

        slow = run_on(own.family, motor, lower, torque_at, speed.shape, farthest=TAP_SLIP if read else FARTHEST_SLIP)
        fast = run_on(own.family, motor, high, torque_at, speed.shape)
        rpm = speed * slow.speed_rpm / fast.speed_rpm
        point = load.at_motor_speed(rpm)
        taken = watts * slow.input_power_w / fast.input_power_w
        amps = amps_found * slow.current_a / fast.current_a
        return Columns(point.flow, point.pressure, rpm, point.machine_power_w, taken, amps)

    amps = found.current or exactly(np.nan)
    fixed = (*found.curve_inputs, found.speed, found.input_power, found.volts, log_turns, amps)
    outside = say("keep-solved-solved-tap") if read else TAP_UNREAD
    solved = solve_steps((step_id,), work, (*fixed, *own.estimates), Saying(How.SOLVED_TAP, outside))
    step = solved[step_id]
    if step.absent:
        return step
    step = replace(step, remark=_told_of(found, read), set_words=tap)
    return step if read else _strayed(step, tap)


def _strayed(step: SolvedStep, tap: str) -> SolvedStep:
    """The step of a tap that was never read, with what its assumed turns do not cover."""
    assert step.flow and step.input_power
    return replace(
        step,
        flow=step.flow.with_contribution(f"flow of the unread {tap}", UNREAD_TAP_SHARE["flow"] * step.flow.value),
        input_power=step.input_power.with_contribution(
            f"watts of the unread {tap}", UNREAD_TAP_SHARE["watts"] * step.input_power.value
        ),
    )


def _told_of(found: FoundMachine, read: bool) -> str:
    """What a solved tap rests on."""
    if found.is_moved:
        return TAP_MOVED
    return TAP_SOLVED if read else TAP_ASSUMED
