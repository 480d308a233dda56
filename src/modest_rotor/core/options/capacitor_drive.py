"""A single-phase capacitor motor on a variable-frequency controller."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import replace

import numpy as np

from modest_rotor.core.estimate import Array, exactly
from modest_rotor.core.identify.fit import FittedMotor
from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.options.contract import (
    CURVE,
    Asked,
    Columns,
    Demand,
    How,
    Option,
    OptionKind,
    Saying,
    SolvedStep,
    VoltsLaw,
    absent_steps,
    curve_and_system,
    solve_steps,
)
from modest_rotor.core.options.drive import DRIVE_SCATTER
from modest_rotor.core.options.electronic import HELD
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.keep import at_speed, tap_pressure
from modest_rotor.core.options.regulator import WAITS
from modest_rotor.core.options.solved import RAD_PER_RPM, driven_at, stacked
from modest_rotor.core.options.traits import Belongs, Holds, SetBy, Traits, of_type
from modest_rotor.core.outcome import Withheld
from modest_rotor.core.physics.drive import Drive, Rectifier, drive_input
from modest_rotor.core.physics.load import Load
from modest_rotor.core.say import Number, say
from modest_rotor.core.stations.product import ProductType

NO_TORQUE = say("capacitor-drive-no-torque")
AS_DATA = say("capacitor-drive-as-data")
LEAST_SHARE, PLACES = 0.2, 41
NEAR_FLOW, SAME_HERTZ = 0.04, 0.02
"""Share of full flow within which a set at its hertz stands for a step, and of the hertz within which they are the plate's."""


class CapacitorDrive(Option):
    """The capacitor motor of today, fed by a single-phase controller that changes volts and hertz together."""

    kind = OptionKind.CAPACITOR_DRIVE
    traits = Traits(
        say("capacitor-drive-traits-motor-controller"), "violet-open", electronics=True, commanded=True, belongs=Belongs.CAPACITOR_MOTORS,
        suits=of_type(ProductType.DRIVE), set_by=SetBy.CONTROLLER, slows=True, both_makers=True, holds=Holds.SPEED,
        wears=say("capacitor-drive-traits-motor-s"), steps=frozenset(("capacitor motor",)),
    )  # fmt: skip

    def solve(self, found: FoundMachine, demands: tuple[Demand, ...], asked: Asked) -> tuple[SolvedStep, ...]:
        """The hertz that give each step its flow, the motor solved with its own capacitor at each."""
        own = found.own
        if own is None or own.plate.kind is not MotorKind.SPLIT_CAPACITOR:
            return absent_steps(demands, WAITS)
        shares = np.array([min(demand.wanted, 1.0) for demand in demands])
        drive = _controller(own, found.volts.value, asked.law)
        fixed = (*found.curve_inputs, found.speed, DRIVE_SCATTER)
        work = _work(found, own, drive, shares, len(fixed))
        ids = tuple(demand.id for demand in demands)
        saying = Saying(How.ON_DRIVE, NO_TORQUE, "frequency")
        solved = solve_steps(ids, work, (*fixed, *own.estimates), saying)
        if any(step.flow is None for step in solved.values()):
            ends = _torque_ends_at(found, own, drive, len(fixed))
            told = (
                NO_TORQUE
                if ends is None
                else say("capacitor-drive-solve", no_torque=NO_TORQUE, ends=Number(ends, ".0f"))
            )
            solved = {
                name: step if step.flow else replace(step, absent=Withheld(told)) for name, step in solved.items()
            }
        return tuple(
            _as_read(found, demand)
            or solved[demand.id].noted(
                HELD if demand.floor > demand.share else "", AS_DATA if solved[demand.id].flow else ""
            )
            for demand in demands
        )


def _controller(own: FittedMotor, volts: float, law: VoltsLaw) -> Drive:
    """A controller of the motor's own rating, on the law of volts and hertz that Set-up proposes."""
    power, hertz = own.plate.rated_power_w or 1.0, own.plate.frequency_hz or 1.0
    amps = own.plate.rated_current_a or power / (0.6 * volts)
    return Drive(power, amps, hertz, volts, law.exponent, trim=law.trim, rectifier=Rectifier.SINGLE_PHASE)


def _work(found: FoundMachine, own: FittedMotor, drive: Drive, shares: Array, fixed: int) -> Callable[..., Columns]:
    poles, volts = int(own.plate.poles or 2), found.volts.value

    def work(*columns: Array) -> Columns:
        curve, (speed, scatter) = columns[:CURVE], columns[CURVE:fixed]
        machine, system = curve_and_system(found, *curve)
        part = curve[0] * shares
        rpm, reached = Load(machine, speed, system).at_flow(part)
        rpm = np.where(reached, rpm, np.nan)
        shaft = machine.power_at(part, rpm / speed)
        motors = stacked(own.family, columns[fixed:])
        at, at_hertz = driven_at(motors, drive, rpm, shaft / (rpm * RAD_PER_RPM), poles, part.shape)
        taken = drive_input(drive, at, volts)
        watts = at.input_power_w + scatter * (taken.input_power_w - at.input_power_w)
        line = taken.current_a * watts / taken.input_power_w
        return Columns(part, system.pressure_at(part), rpm, shaft, watts, np.asarray(line), at_hertz)

    return work


def _torque_ends_at(found: FoundMachine, own: FittedMotor, drive: Drive, fixed: int) -> float | None:
    """The lowest hertz at which the motor still carries this machine, by its best values; nothing where it carries none."""
    shares = np.linspace(1.0, LEAST_SHARE, PLACES)
    inputs = (*found.curve_inputs, found.speed, DRIVE_SCATTER, *own.estimates)
    columns = [np.array([[estimate.value]]) for estimate in inputs]
    hertz = np.ravel(_work(found, own, drive, shares, fixed)(*columns).setting)
    carried = hertz[np.isfinite(hertz)]
    return float(carried.min()) if carried.size else None


def _as_read(found: FoundMachine, demand: Demand) -> SolvedStep | None:
    """A step whose flow was read on a controller: a set at its hertz is evidence, where speed and watts were read."""
    for facts in found.sets:
        hertz, speed, watts = facts.reading.frequency, facts.running.speed, facts.running.input_power
        at_plate = hertz is None or abs(hertz.si / (found.plate.frequency_hz or hertz.si) - 1) < SAME_HERTZ
        if at_plate or hertz is None or speed is None or watts is None or facts.on_full_tap:
            continue
        flow, shaft = at_speed(found, speed)
        if abs(flow.value / found.flow.value - demand.wanted) <= NEAR_FLOW:
            return SolvedStep(
                demand.id, flow, tap_pressure(found, facts, flow), speed, shaft, watts, say("capacitor-drive-as-read", set=facts.title), How.ON_DRIVE,
                facts.running.current, exactly(hertz.si), "frequency",
            )  # fmt: skip
    return None
