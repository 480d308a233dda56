"""Keep it: the machine of today at every duty step, as it meets part flow today."""

from __future__ import annotations

import math
from dataclasses import replace

import numpy as np

from modest_rotor.core.estimate import Array, Estimate, exactly, measured, normal_share, propagate
from modest_rotor.core.identify.efficiency import TypicalMotor, typical_motor
from modest_rotor.core.options.contract import (
    CURVE,
    NEAR_FULL,
    Asked,
    Columns,
    Demand,
    How,
    Option,
    OptionKind,
    Saying,
    SolvedStep,
    curve_and_system,
    solve_steps,
)
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.keep_solved import solved_tap, solved_throttled
from modest_rotor.core.options.traits import Holds, Traits
from modest_rotor.core.outcome import Absent, Waiting
from modest_rotor.core.physics.induction import input_power_w
from modest_rotor.core.physics.load import Load
from modest_rotor.core.say import Number, say
from modest_rotor.core.stations.duty import PartFlow
from modest_rotor.core.stations.set_facts import SetFacts

UNSAID = Waiting(say("keep-unsaid"))
TAP_SLACK = 0.05
"""A tap whose flow falls short of the demand by less than this share of full flow still counts as meeting it."""
EDGE_SHARE = 0.02
"""How sharply somebody knows which flow is enough, standard deviation as a share of full flow. Our judgement, no source."""
LOW_SPEED_SPREAD = 0.015
"""Standard deviation of a low speed that is taken from the plate: its slip under a fan's lighter load. Our judgement, no source."""
SURE = 0.98
"""Weight from which on a setting is the one."""
MORE_THAN_ASKED = 0.03
WHICH_SETTING = say("keep-which-setting")


class Keep(Option):
    """The motor as found."""

    kind = OptionKind.KEEP
    traits = Traits(say("keep-traits"), "copper", holds=Holds.MOTOR, rewires=False, hands=False)

    def solve(self, found: FoundMachine, demands: tuple[Demand, ...], asked: Asked) -> tuple[SolvedStep, ...]:
        """The machine as found: full, throttled along its curve, or on the tap that was read."""
        part_flow = asked.part_flow
        throttled = tuple(demand for demand in demands if demand.share < NEAR_FULL and part_flow is PartFlow.THROTTLE)
        solve = solved_throttled if found.own else _throttled
        solved = solve(found, throttled) if throttled else {}
        return tuple(solved.get(demand.id) or _as_found(found, demand, part_flow) for demand in demands)

    def motor(self, found: FoundMachine) -> TypicalMotor | None:
        """The motor that is in the machine."""
        return found.motor


def full_step(found: FoundMachine, step_id: str, note: str = "") -> SolvedStep:
    """The point found, as the result of a step."""
    return SolvedStep(
        step_id,
        found.flow,
        found.pressure,
        found.speed,
        found.shaft_power,
        found.input_power,
        note,
        current=found.current,
    )


def _as_found(found: FoundMachine, demand: Demand, part_flow: PartFlow | None) -> SolvedStep:
    if demand.tap is not None:
        return on_named_tap(found, demand)
    if demand.share >= NEAR_FULL:
        return full_step(found, demand.id)
    if part_flow is PartFlow.RUNS_FULL:
        return _says_what_it_moves(found, demand, full_step(found, demand.id, say("term-runs-full-all-the-same")))
    if part_flow is PartFlow.TAPS:
        return _on_tap(found, demand)
    return SolvedStep(demand.id, absent=UNSAID)


def on_named_tap(found: FoundMachine, demand: Demand) -> SolvedStep:
    """A step that was said by its tap: as read on it, or as the fitted motor gives it.

    :param found: the machine, with the sets read on its taps. :param demand: whose tap is named.

    Absent where the tap was not read and no motor was fitted. Source: the reading; else the fitted motor by its fields, textbook.
    """
    assert demand.tap is not None
    facts = next((facts for facts in found.sets if facts.tap_name == demand.tap), None)
    if facts is not None and not found.is_moved:
        point = _tap_point(found, facts, demand.id)
        if point.flow is not None:
            return point
    return (
        solved_tap(found, demand.tap, demand.id)
        or on_low_speed(found, demand.id)
        or SolvedStep(demand.id, absent=Waiting(say("keep-on-named-tap", tap=demand.tap)))
    )


def on_low_speed(found: FoundMachine, step_id: str) -> SolvedStep | None:
    """The low speed of a motor that is switched between two, from its plate; nothing where that does not tell speed and power.

    The affinity laws carry the machine to the plate's low speed; watts by the efficiency that is typical of its low rating.

    :param found: whose plate tells two speeds, rpm, and powers, W. Source: affinity laws, AMCA 201.
    """
    low = found.plate.low
    if low is None or low.rated_speed_rpm is None or low.rated_power_w is None:
        return None
    motor = typical_motor(low, say("keep-on-low-speed-low-speed"))
    if isinstance(motor, Absent):
        return None
    rated, turned = low.rated_power_w, low.rated_speed_rpm
    speed = measured(turned, **{"speed on the low connection": LOW_SPEED_SPREAD * turned})
    flow, power = at_speed(found, speed)
    (watts,) = propagate(
        lambda shaft, efficiency, fixed: input_power_w(shaft, rated, efficiency, fixed),
        power,
        motor.rated_efficiency,
        motor.fixed_share,
    )
    note = say("keep-on-low-speed-read-plate")
    return SolvedStep(step_id, flow, tap_pressure_at(found, flow), speed, power, watts, note, How.ON_TAP)


def _on_tap(found: FoundMachine, demand: Demand) -> SolvedStep:
    """The lowest setting that reaches the flow, as far as that can be known: near the edge of one both it and the next count.

    A machine that cannot modulate takes the next setting and moves more than was asked. Where the flow of a setting lies within
    its own uncertainty of the demand, each setting is weighed with the chance that it is the one, and the uncertainty holds them.
    """
    taps = [] if found.is_moved else [facts for facts in found.sets if not facts.on_full_tap]
    points = [_tap_point(found, facts, demand.id) for facts in taps]
    if not points:
        solved = solved_tap(found, say("term-low-tap"), demand.id) or on_low_speed(found, demand.id)
        if solved is None:
            return SolvedStep(demand.id, absent=Waiting(say("keep-on-tap-waits-set")))
        points = [solved]
    unsolved = next((point for point in points if point.flow is None), None)
    if unsolved is not None:
        return unsolved
    lowest_first = sorted(points, key=lambda point: point.flow.value if point.flow else 0.0)
    return _weighed(found, demand, [*lowest_first, full_step(found, demand.id)])


def _weighed(found: FoundMachine, demand: Demand, settings: list[SolvedStep]) -> SolvedStep:
    """Settings, the lowest first, as one step: each by the chance that it is the lowest that reaches the flow."""
    weights, left = [], 1.0
    for setting in settings[:-1]:
        assert setting.flow is not None
        share = setting.flow / found.flow
        spread = math.hypot(share.standard, EDGE_SHARE)
        reaches = normal_share((share.value + TAP_SLACK - demand.share) / spread)
        weights.append(left * reaches)
        left -= weights[-1]
    weights.append(left)
    heaviest = max(range(len(settings)), key=lambda place: weights[place])
    chosen = settings[heaviest]
    if heaviest == len(settings) - 1:
        chosen = chosen.noted(say("keep-weighed-tap-gives"))
    if weights[heaviest] > SURE:
        return _says_what_it_moves(found, demand, chosen)

    def mean(name: str) -> Estimate | None:
        return _mean([(getattr(setting, name), weight) for setting, weight in zip(settings, weights, strict=True)])

    step = replace(
        chosen,
        flow=mean("flow"),
        pressure=mean("pressure"),
        speed=mean("speed"),
        shaft_power=mean("shaft_power"),
        input_power=mean("input_power"),
        current=mean("current"),
    ).noted(say("keep-weighed-near-edge"))
    return _says_what_it_moves(found, demand, step)


def _mean(weighed: list[tuple[Estimate | None, float]]) -> Estimate | None:
    """The mean of a value over settings, with how far they lie apart as a source of its own; nothing where one has none."""
    total, values = exactly(0.0), []
    for value, weight in weighed:
        if value is None:
            if weight > 1 - SURE:
                return None
            continue
        total = total + value * weight
        values.append((value.value, weight))
    apart = math.sqrt(sum(weight * (value - total.value) ** 2 for value, weight in values))
    return total.with_contribution(WHICH_SETTING, apart)


def _says_what_it_moves(found: FoundMachine, demand: Demand, step: SolvedStep) -> SolvedStep:
    """The step, with the air that it moves beyond what was asked: that is part of every saving against it."""
    if step.flow is None or step.flow.value < (demand.share + MORE_THAN_ASKED) * found.flow.value:
        return step
    moved = 100 * step.flow.value / found.flow.value
    return step.noted(
        say("keep-says-what-it-moves", moved=Number(moved, ".0f"), share=Number(100 * demand.share, ".0f"))
    )


def at_reached_flow(found: FoundMachine, demand: Demand, share: float, asked: Asked) -> SolvedStep:
    """The machine of today at the flow that was reached in place of the one asked for: what a proof holds watts against.

    :param share: of full flow, reached.

    At the flow asked for it is the promise's own baseline. Throttled and tapped machines are solved at the flow reached; one
    that stays on its setting is scaled to it by the system's law, and never up. Source: affinity laws; our judgement.
    """
    stays = demand.tap is not None or asked.part_flow in (PartFlow.RUNS_FULL, None)
    if not stays:
        (step,) = Keep().solve(found, (replace(demand, share=share),), asked)
        return step
    (step,) = Keep().solve(found, (demand,), asked)
    ratio = min(share / demand.share, 1.0) if demand.share > 0 else 1.0
    if step.input_power is None or ratio >= 1:
        return step
    return replace(step, input_power=step.input_power * float(ratio ** (found.exponent.value + 1)))


def _tap_point(found: FoundMachine, facts: SetFacts, step_id: str) -> SolvedStep:
    speed, watts = facts.running.speed, facts.running.input_power
    if speed is None or watts is None:
        solved = solved_tap(found, facts.tap_name, step_id) if facts.tap_name else None
        if solved is not None:
            return solved
        return SolvedStep(step_id, absent=Waiting(say("keep-tap-point-waits-speed", set=facts.title)))
    free_system = found.fixed_pressure.value == 0
    flow = facts.flow if found.flow_is_measured else None
    if flow is None and not free_system:
        return SolvedStep(step_id, absent=Waiting(say("keep-tap-point-waits-flow", set=facts.title)))
    told, carried = at_speed(found, speed)
    # On a free system the affinity laws carry the power found to the tap's speed better than the plate's losses do.
    shaft_power = carried if free_system else facts.shaft_power
    if shaft_power is None:
        return SolvedStep(step_id, absent=Waiting(say("keep-tap-point-waits-load", set=facts.title)))
    flow = flow or told
    return SolvedStep(
        step_id,
        flow,
        tap_pressure(found, facts, flow),
        speed,
        shaft_power,
        watts,
        say("keep-tap-point-read", set=facts.title),
        How.ON_TAP,
        facts.running.current,
    )


def at_speed(found: FoundMachine, speed: Estimate) -> tuple[Estimate, Estimate]:
    """Flow and shaft power of the machine in its system at another speed, rpm. Source: affinity laws, AMCA 201."""

    def work(*columns: Array) -> Array:
        curve, (known, now) = columns[:CURVE], columns[CURVE:]
        machine, system = curve_and_system(found, *curve)
        point = Load(machine, known, system).at_motor_speed(now)
        return np.hstack([point.flow, point.machine_power_w])

    flow, power = propagate(work, *found.curve_inputs, found.speed, speed)
    return flow, power


def tap_pressure(found: FoundMachine, facts: SetFacts, flow: Estimate) -> Estimate:
    """Pressure of a set: as read, or else from the system's curve at its flow.

    :param found: whose system it is. :param facts: the set. :param flow: its flow, m³/s. Pa. Source: p = p_0 + k q^m, textbook.
    """
    if found.pressure_is_measured and facts.pressure:
        return facts.pressure
    return tap_pressure_at(found, flow)


def tap_pressure_at(found: FoundMachine, flow: Estimate) -> Estimate:
    """Pressure of the system at a flow. Source: of the system's curve."""
    share = flow.value / found.flow.value
    return (found.pressure - found.fixed_pressure) * float(share**found.exponent.value) + found.fixed_pressure


def _throttled(found: FoundMachine, demands: tuple[Demand, ...]) -> dict[str, SolvedStep]:
    shares = np.array([demand.share for demand in demands])
    rated = found.plate.rated_power_w
    assert rated is not None

    def work(*columns: Array) -> Columns:
        curve, (speed, watts, efficiency, loss_share) = columns[:CURVE], columns[CURVE:]
        machine, _ = curve_and_system(found, *curve)
        part, power = curve[0] * shares, curve[2]
        shaft = machine.power_at(part, np.ones_like(part))
        # The watts found are measured; only their change along the curve is modelled.
        change = input_power_w(shaft, rated, efficiency, loss_share) - input_power_w(
            power, rated, efficiency, loss_share
        )
        return Columns(part, machine.pressure_at(part, np.ones_like(part)), speed + 0 * part, shaft, watts + change)

    inputs = (
        *found.curve_inputs,
        found.speed,
        found.input_power,
        found.motor.rated_efficiency,
        found.motor.fixed_share,
    )
    ids = tuple(demand.id for demand in demands)
    solved = solve_steps(ids, work, inputs, Saying(How.THROTTLED, say("keep-throttled-damper-would")))
    return {
        name: step if step.absent else step.noted(say("keep-throttled-throttled-speed"))
        for name, step in solved.items()
    }
