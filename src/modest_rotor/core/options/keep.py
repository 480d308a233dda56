"""Keep it: the machine of today at every duty step, as it meets part flow today."""

from __future__ import annotations

import numpy as np

from modest_rotor.core.estimate import Array, Estimate, propagate
from modest_rotor.core.identify.efficiency import TypicalMotor
from modest_rotor.core.options.contract import (
    CURVE,
    NEAR_FULL,
    Asked,
    Columns,
    Demand,
    How,
    OptionKind,
    Saying,
    SolvedStep,
    curve_and_system,
    solve_steps,
)
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.keep_solved import solved_tap, solved_throttled
from modest_rotor.core.physics.induction import input_power_w
from modest_rotor.core.physics.load import Load
from modest_rotor.core.stations.duty import PartFlow
from modest_rotor.core.stations.set_facts import SetFacts

UNSAID = "waits for how a part step is met today (on Duty)"
TAP_SLACK = 0.05
"""A tap whose flow falls short of the demand by less than this share of full flow still counts as meeting it."""


class Keep:
    """The motor as found."""

    kind = OptionKind.KEEP
    title = "Keep it"
    series = "copper"
    electronics = False
    commanded = False

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
        return full_step(found, demand.id, "runs full all the same")
    if part_flow is PartFlow.TAPS:
        return _on_tap(found, demand)
    return SolvedStep(demand.id, note=UNSAID)


def on_named_tap(found: FoundMachine, demand: Demand) -> SolvedStep:
    """A step that was said by its tap: as read on it, or as the fitted motor gives it."""
    assert demand.tap is not None
    facts = next((facts for facts in found.telling_sets if facts.tap_name == demand.tap), None)
    if facts is not None and not found.is_moved:
        point = _tap_point(found, facts, demand.id)
        if point.flow is not None:
            return point
    return solved_tap(found, demand.tap, demand.id) or SolvedStep(
        demand.id, note=f"waits for a set of readings on the {demand.tap}"
    )


def _on_tap(found: FoundMachine, demand: Demand) -> SolvedStep:
    taps = [] if found.is_moved else [facts for facts in found.telling_sets if not facts.on_full_tap]
    if not taps:
        return solved_tap(found, "low tap", demand.id) or SolvedStep(
            demand.id, note="waits for a set of readings on the lower tap"
        )
    points = [_tap_point(found, facts, demand.id) for facts in taps]
    enough = [
        point for point in points if point.flow and point.flow.value / found.flow.value >= demand.share - TAP_SLACK
    ]
    if enough:
        return min(enough, key=lambda point: point.flow.value if point.flow else 0.0)
    unsolved = next((point for point in points if point.flow is None), None)
    return unsolved or full_step(found, demand.id, "no tap read gives enough, so it runs full")


def _tap_point(found: FoundMachine, facts: SetFacts, step_id: str) -> SolvedStep:
    speed, watts = facts.running.speed, facts.running.input_power
    if speed is None or watts is None:
        solved = solved_tap(found, facts.tap_name, step_id) if facts.tap_name else None
        if solved is not None:
            return solved
        return SolvedStep(step_id, note=f"waits for speed and true watts in {facts.title}")
    free_system = found.fixed_pressure.value == 0
    flow = facts.flow if found.flow_is_measured else None
    if flow is None and not free_system:
        return SolvedStep(step_id, note=f"waits for the flow in {facts.title}: a part of the pressure stays at no flow")
    told, carried = at_speed(found, speed)
    # On a free system the affinity laws carry the power found to the tap's speed better than the plate's losses do.
    shaft_power = carried if free_system else facts.shaft_power
    if shaft_power is None:
        return SolvedStep(step_id, note=f"waits for a load in {facts.title}")
    flow = flow or told
    return SolvedStep(
        step_id,
        flow,
        tap_pressure(found, facts, flow),
        speed,
        shaft_power,
        watts,
        f"as read in {facts.title}",
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
    """Pressure of a set: as read, or else from the system's curve at its flow."""
    if found.pressure_is_measured and facts.pressure:
        return facts.pressure
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
    solved = solve_steps(ids, work, inputs, Saying(How.THROTTLED, "the damper would shut beyond the generic curve"))
    return {
        name: step if step.note else step.noted("throttled; its speed taken as unchanged")
        for name, step in solved.items()
    }
