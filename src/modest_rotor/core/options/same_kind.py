"""The same kind anew: a new motor of the plate's rating, controlled as the old one is."""

from __future__ import annotations

import math

import numpy as np

from modest_rotor.core.estimate import COVERAGE_95, Array, Estimate, exactly, measured
from modest_rotor.core.identify.efficiency import TypicalMotor, typical_motor
from modest_rotor.core.options.contract import (
    CURVE,
    NEAR_FULL,
    Demand,
    How,
    OptionKind,
    SolvedStep,
    curve_and_system,
    solve_steps,
)
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.keep import UNSAID, Keep
from modest_rotor.core.options.solved import RAD_PER_RPM, run_on, stacked
from modest_rotor.core.physics.fan import MachineCurve
from modest_rotor.core.physics.induction import input_power_w, speed_on_slip_line_rpm
from modest_rotor.core.physics.load import Load, flow_at_speed
from modest_rotor.core.physics.supply import Supply
from modest_rotor.core.physics.system import SystemCurve
from modest_rotor.core.stations.duty import PartFlow

A_NEW_MOTOR = "a new motor"
OVERLOADED = "withheld: at the volts read, a new motor of this plate would not carry the load found"
SLIP_TOLERANCE = 0.20
"""Standard tolerance of slip at rated load, as a share of it: NEMA MG 1 (from memory)."""
NEWTON_STEPS = 4
"""On a free system torque goes with speed squared, so Newton's step is nearly exact; four leave less than 1/1000 rpm."""
LARGEST_TORQUE = 1.5
"""Torque over rated torque up to which the slip line is believed; pull-out lies near 1.8. Our judgement, no source."""


class SameKind:
    """A new motor of the same kind and rating."""

    kind = OptionKind.SAME_KIND
    title = "Same kind, new"
    series = "copper-ring"

    def solve(
        self, found: FoundMachine, demands: tuple[Demand, ...], part_flow: PartFlow | None
    ) -> tuple[SolvedStep, ...]:
        """The new motor where it meets the load: solved from its plate, or on the slip line of a plate too bare for that."""
        torque_ratio = _torque_ratio(found)
        if torque_ratio > LARGEST_TORQUE:
            return tuple(SolvedStep(demand.id, note=OVERLOADED) for demand in demands)
        full = Demand("full", 1.0)
        direct = tuple(demand for demand in demands if _is_direct(demand, part_flow))
        solve = _solved if found.new else _on_slip_line
        solved = solve(found, (full, *direct), part_flow)
        ratio = _input_ratio(found, solved["full"])
        return tuple(solved.get(demand.id) or _as_today(found, demand, part_flow, ratio) for demand in demands)

    def motor(self, found: FoundMachine) -> TypicalMotor | None:
        """A new motor of the same plate."""
        return typical_motor(found.plate, A_NEW_MOTOR)


def _torque_ratio(found: FoundMachine) -> float:
    """Torque found over the plate's, as it would be at the plate's volts; without end where no volts were read."""
    rated, speed, volts = found.plate.rated_power_w, found.plate.rated_speed_rpm, _volts_ratio(found).value
    assert rated is not None
    if volts <= 0:
        return math.inf
    return found.shaft_power.value / rated * (speed / found.speed.value if speed else 1.0) / volts**2


def _is_direct(demand: Demand, part_flow: PartFlow | None) -> bool:
    return demand.share >= NEAR_FULL or part_flow in (PartFlow.RUNS_FULL, PartFlow.THROTTLE)


def _input_ratio(found: FoundMachine, full: SolvedStep) -> float | None:
    return full.input_power.value / found.input_power.value if full.input_power else None


def _as_today(found: FoundMachine, demand: Demand, part_flow: PartFlow | None, ratio: float | None) -> SolvedStep:
    (today,) = Keep().solve(found, (demand,), part_flow)
    if today.input_power is None or ratio is None:
        return SolvedStep(demand.id, note=today.note or UNSAID)
    spread = (
        found.motor.rated_efficiency.standard / found.motor.rated_efficiency.value * today.input_power.value * ratio
    )
    watts = (today.input_power * ratio).with_part(f"efficiency of {A_NEW_MOTOR}", spread)
    note = "its tap taken as the old one's; watts scaled as at full flow"
    return SolvedStep(demand.id, today.flow, today.pressure, today.speed, today.shaft_power, watts, note, How.AS_TODAY)


def _solved(found: FoundMachine, demands: tuple[Demand, ...], part_flow: PartFlow | None) -> dict[str, SolvedStep]:
    """Any motor that this plate could stand for, on the load found; a step that is throttled at its share of the flow."""
    new = found.new
    assert new is not None
    throttled = part_flow is PartFlow.THROTTLE
    shares = np.array([demand.share if throttled else 1.0 for demand in demands])

    def work(*columns: Array) -> tuple[Array, Array, Array, Array, Array]:
        curve, (speed, volts) = columns[:CURVE], columns[CURVE : len(fixed)]
        machine, system = curve_and_system(found, *curve)
        load = Load(machine, speed, system)
        motor = stacked(new.family, columns[len(fixed) :])
        supply = Supply(volts, new.plate.frequency_hz)
        full = run_on(new.family, motor, supply, lambda rpm: load.at_motor_speed(rpm).torque_nm, speed.shape)
        part = load.at_motor_speed(np.where(np.isnan(full.speed_rpm), speed, full.speed_rpm)).flow * shares
        if not throttled:
            ratio = full.speed_rpm / speed
            return part, machine.pressure_at(part, ratio), full.speed_rpm, full.shaft_power_w, full.input_power_w

        def torque_at(rpm: Array) -> Array:
            return np.asarray(machine.power_at(part, rpm / speed) / (rpm * RAD_PER_RPM))

        at = run_on(new.family, motor, supply, torque_at, part.shape, full)
        ratio = at.speed_rpm / speed
        return part, machine.pressure_at(part, ratio), at.speed_rpm, at.shaft_power_w, at.input_power_w

    fixed = (*found.curve_inputs, found.speed, found.volts)
    ids = tuple(demand.id for demand in demands)
    return solve_steps(ids, work, (*fixed, *new.as_new), How.SOLVED, OVERLOADED)


def _on_slip_line(
    found: FoundMachine, demands: tuple[Demand, ...], part_flow: PartFlow | None
) -> dict[str, SolvedStep]:
    plate = found.plate
    assert plate.rated_power_w is not None
    rated = plate.rated_power_w
    motor = typical_motor(plate, A_NEW_MOTOR)
    shares = np.array([demand.share if part_flow is PartFlow.THROTTLE else 1.0 for demand in demands])

    def work(
        flow: Array,
        pressure: Array,
        power: Array,
        place: Array,
        fixed: Array,
        speed: Array,
        rated_speed: Array,
        volts: Array,
        efficiency: Array,
        loss_share: Array,
    ) -> tuple[Array, Array, Array, Array, Array]:
        machine, system = curve_and_system(found, flow, pressure, power, place, fixed)
        ratio = _new_speed_ratio(machine, system, speed, rated_speed, volts, found)
        full = flow_at_speed(machine, system, ratio)
        part = full * shares
        shaft = machine.power_at(part, ratio)
        given = np.where(shares >= NEAR_FULL, system.pressure_at(part), machine.pressure_at(part, ratio))
        return part, given, speed * ratio + 0 * part, shaft, input_power_w(shaft, rated, efficiency, loss_share)

    inputs = (
        *found.curve_inputs,
        found.speed,
        _rated_speed(found),
        _volts_ratio(found),
        motor.rated_efficiency,
        motor.fixed_share,
    )
    ids = tuple(demand.id for demand in demands)
    return solve_steps(ids, work, inputs, How.SLIP_LINE, "the new motor would run off the generic curve")


def _new_speed_ratio(
    machine: MachineCurve, system: SystemCurve, speed: Array, rated_speed: Array, volts: Array, found: FoundMachine
) -> Array:
    synchronous, rated_power = found.plate.synchronous_speed_rpm, found.plate.rated_power_w
    ratio = np.ones_like(speed + rated_speed)
    if synchronous is None or rated_power is None:
        return ratio
    for _ in range(NEWTON_STEPS):
        shaft = machine.power_at(flow_at_speed(machine, system, ratio), ratio)
        torque_ratio = (shaft / (speed * ratio)) / (rated_power / rated_speed)
        on_line = speed_on_slip_line_rpm(torque_ratio / volts**2, rated_speed, synchronous) / speed
        ratio = ratio - (ratio - on_line) / (1 + 2 * (synchronous / speed - on_line) / ratio)
    return ratio


def _rated_speed(found: FoundMachine) -> Estimate:
    plate = found.plate
    if plate.rated_speed_rpm is None or plate.synchronous_speed_rpm is None:
        return found.speed
    tolerance = SLIP_TOLERANCE * (plate.synchronous_speed_rpm - plate.rated_speed_rpm) / COVERAGE_95
    return measured(plate.rated_speed_rpm, **{f"slip of {A_NEW_MOTOR}": tolerance})


def _volts_ratio(found: FoundMachine) -> Estimate:
    volts = found.reference.running.voltage if found.reference else None
    rated = found.plate.rated_voltage_v
    return volts * (1 / rated) if volts and rated else exactly(1.0)
