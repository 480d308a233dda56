"""The same kind anew: a new motor of the plate's rating, controlled as the old one is."""

from __future__ import annotations

import math
from dataclasses import replace

import numpy as np

from modest_rotor.core.estimate import COVERAGE_95, Array, Estimate, exactly, measured
from modest_rotor.core.identify.efficiency import TypicalMotor, typical_motor
from modest_rotor.core.identify.fit import FittedMotor
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
    absent_steps,
    curve_and_system,
    solve_steps,
)
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.keep import UNSAID, Keep
from modest_rotor.core.options.rating import product_motor, promised_losses
from modest_rotor.core.options.solved import RAD_PER_RPM, run_on, stacked
from modest_rotor.core.options.traits import Brings, Holds, Traits, line_motor
from modest_rotor.core.outcome import Absent, Withheld
from modest_rotor.core.physics.fan import MachineCurve
from modest_rotor.core.physics.induction import input_power_w, speed_on_slip_line_rpm
from modest_rotor.core.physics.load import Load, flow_at_speed
from modest_rotor.core.physics.motor_point import MotorPoint
from modest_rotor.core.physics.supply import Supply
from modest_rotor.core.physics.system import SystemCurve
from modest_rotor.core.say import say
from modest_rotor.core.stations.duty import PartFlow

A_NEW_MOTOR = say("term-a-new-motor")
OVERLOADED = say("same-kind-overloaded")
SLIP_TOLERANCE = 0.20
"""Standard tolerance of slip at rated load, as a share of it: NEMA MG 1 (from memory)."""
NEWTON_STEPS = 4
"""On a free system torque goes with speed squared, so Newton's step is nearly exact; four leave less than 1/1000 rpm."""
LARGEST_TORQUE = 1.5
"""Torque over rated torque up to which the slip line is believed; pull-out lies near 1.8. Our judgement, no source."""


class SameKind(Option):
    """A new motor of the same kind and rating."""

    kind = OptionKind.SAME_KIND
    traits = Traits(
        say("same-kind-traits-same-kind"), "copper-ring", brings=Brings.MOTOR, suits=line_motor, holds=Holds.MOTOR, long_lived=True,
        wears=say("same-kind-traits-bearings-run"), steps=frozenset(("taps", "capacitor motor")),
    )  # fmt: skip

    def solve(self, found: FoundMachine, demands: tuple[Demand, ...], asked: Asked) -> tuple[SolvedStep, ...]:
        """The new motor where it meets the load: solved from its plate, or on the slip line of a plate too bare for that."""
        part_flow = asked.part_flow
        new = self._new(found, asked)
        if isinstance(new, Absent):
            return absent_steps(demands, new)
        if not asked.candidate.product and _torque_ratio(found) > LARGEST_TORQUE:
            return absent_steps(demands, Withheld(OVERLOADED))
        full = Demand("full", 1.0)
        direct = tuple(demand for demand in demands if demand.tap is None and _is_direct(demand, part_flow))
        if new:
            losses = promised_losses(asked.candidate, new)
            solved = _solved(found, new, losses, (full, *direct), part_flow)
        else:
            solved = _on_slip_line(found, (full, *direct), part_flow)
        ratio = _input_ratio(found, solved["full"])
        return tuple(solved.get(demand.id) or _as_today(found, demand, part_flow, ratio) for demand in demands)

    def _new(self, found: FoundMachine, asked: Asked) -> FittedMotor | Absent | None:
        """The new motor: its product's, or one of the plate in the machine; nothing where that plate is too bare for a fit."""
        kind = found.plate.kind
        return (product_motor(asked.candidate, kind, found.volts.value) if kind else None) or found.new

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
    (today,) = Keep().solve(found, (demand,), Asked(part_flow))
    if today.input_power is None or ratio is None:
        return SolvedStep(demand.id, absent=today.absent or UNSAID)
    spread = (
        found.motor.rated_efficiency.standard / found.motor.rated_efficiency.value * today.input_power.value * ratio
    )
    watts = (today.input_power * ratio).with_contribution(f"efficiency of {A_NEW_MOTOR}", spread)
    remark = say("same-kind-as-today")
    return replace(today, input_power=watts, remark=remark, how=How.AS_TODAY, current=None)


def _solved(
    found: FoundMachine, new: FittedMotor, losses: Estimate, demands: tuple[Demand, ...], part_flow: PartFlow | None
) -> dict[str, SolvedStep]:
    """Any motor that this plate could stand for, on the load found; a step that is throttled at its share of the flow."""
    throttled = part_flow is PartFlow.THROTTLE
    shares = np.array([demand.share if throttled else 1.0 for demand in demands])

    def work(*columns: Array) -> Columns:
        curve, (speed, volts, worse) = columns[:CURVE], columns[CURVE : len(fixed)]
        machine, system = curve_and_system(found, *curve)
        load = Load(machine, speed, system)
        motor = stacked(new.family, columns[len(fixed) :])
        supply = Supply(volts, new.plate.frequency_hz)
        full = run_on(new.family, motor, supply, lambda rpm: load.torque_at(rpm), speed.shape)
        part = load.at_motor_speed(np.where(np.isnan(full.speed_rpm), speed, full.speed_rpm)).flow * shares
        if not throttled:
            ratio = full.speed_rpm / speed
            return _columns(part, machine.pressure_at(part, ratio), full, worse)

        def torque_at(rpm: Array) -> Array:
            return np.asarray(machine.power_at(part, rpm / speed) / (rpm * RAD_PER_RPM))

        at = run_on(new.family, motor, supply, torque_at, part.shape, full)
        ratio = at.speed_rpm / speed
        return _columns(part, machine.pressure_at(part, ratio), at, worse)

    fixed = (*found.curve_inputs, found.speed, found.volts, losses)
    ids = tuple(demand.id for demand in demands)
    return solve_steps(ids, work, (*fixed, *new.as_new), Saying(How.SOLVED, OVERLOADED))


def _columns(flow: Array, pressure: Array, at: MotorPoint, worse: Array) -> Columns:
    """A motor's point with its losses as the data sheet stands for; its amps go with its watts."""
    watts = at.shaft_power_w + worse * (at.input_power_w - at.shaft_power_w)
    amps = at.current_a * watts / at.input_power_w
    return Columns(
        flow, pressure, np.asarray(at.speed_rpm), np.asarray(at.shaft_power_w), np.asarray(watts), np.asarray(amps)
    )


def _on_slip_line(
    found: FoundMachine, demands: tuple[Demand, ...], part_flow: PartFlow | None
) -> dict[str, SolvedStep]:
    plate = found.plate
    assert plate.rated_power_w is not None
    rated = plate.rated_power_w
    motor = typical_motor(plate, A_NEW_MOTOR)
    shares = np.array([demand.share if part_flow is PartFlow.THROTTLE else 1.0 for demand in demands])

    def work(*columns: Array) -> Columns:
        curve, (speed, rated_speed, volts, efficiency, loss_share) = columns[:CURVE], columns[CURVE:]
        machine, system = curve_and_system(found, *curve)
        ratio = _new_speed_ratio(machine, system, speed, rated_speed, volts, found)
        full = flow_at_speed(machine, system, ratio)
        part = full * shares
        shaft = machine.power_at(part, ratio)
        given = np.where(shares >= NEAR_FULL, system.pressure_at(part), machine.pressure_at(part, ratio))
        return Columns(
            part, given, speed * ratio + 0 * part, shaft, input_power_w(shaft, rated, efficiency, loss_share)
        )

    inputs = (
        *found.curve_inputs,
        found.speed,
        _rated_speed(found),
        _volts_ratio(found),
        motor.rated_efficiency,
        motor.fixed_share,
    )
    ids = tuple(demand.id for demand in demands)
    return solve_steps(ids, work, inputs, Saying(How.SLIP_LINE, say("same-kind-on-slip-line")))


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
