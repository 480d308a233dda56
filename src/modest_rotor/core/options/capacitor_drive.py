"""A single-phase capacitor motor on a variable-frequency controller."""

from __future__ import annotations

import numpy as np

from modest_rotor.core.estimate import Array
from modest_rotor.core.identify.efficiency import TypicalMotor
from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.options.contract import (
    CURVE,
    Asked,
    Columns,
    Demand,
    How,
    OptionKind,
    Saying,
    SolvedStep,
    curve_and_system,
    solve_steps,
    waiting_steps,
)
from modest_rotor.core.options.drive import DRIVE_SCATTER
from modest_rotor.core.options.electronic import HELD
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.regulator import WAITS
from modest_rotor.core.options.solved import RAD_PER_RPM, driven_at, stacked
from modest_rotor.core.physics.drive import VARIABLE_TORQUE, Drive, Rectifier, drive_input
from modest_rotor.core.physics.load import Load

NO_TORQUE = "the capacitor motor gives too little torque at these hertz"
AS_DATA = "hertz and watts of a capacitor motor on a controller are rough: its capacitor fits one frequency only"


class CapacitorDrive:
    """The capacitor motor of today, fed by a single-phase controller that changes volts and hertz together."""

    kind = OptionKind.CAPACITOR_DRIVE
    title = "This motor, on a controller"
    series = "violet-open"
    electronics = True
    commanded = True

    def solve(self, found: FoundMachine, demands: tuple[Demand, ...], asked: Asked) -> tuple[SolvedStep, ...]:
        """The hertz that give each step its flow, the motor solved with its own capacitor at each."""
        own = found.own
        if own is None or own.plate.kind is not MotorKind.SPLIT_CAPACITOR:
            return waiting_steps(demands, WAITS)
        shares = np.array([min(demand.wanted, 1.0) for demand in demands])
        volts = found.volts.value
        power = own.plate.rated_power_w or 1.0
        amps = own.plate.rated_current_a or power / (0.6 * volts)
        hertz = own.plate.frequency_hz or 1.0
        drive = Drive(power, amps, hertz, volts, exponent=VARIABLE_TORQUE, rectifier=Rectifier.SINGLE_PHASE)
        poles = int(own.plate.poles or 2)

        def work(*columns: Array) -> Columns:
            curve, (speed, scatter) = columns[:CURVE], columns[CURVE : len(fixed)]
            machine, system = curve_and_system(found, *curve)
            part = curve[0] * shares
            rpm, reached = Load(machine, speed, system).at_flow(part)
            rpm = np.where(reached, rpm, np.nan)
            shaft = machine.power_at(part, rpm / speed)
            motors = stacked(own.family, columns[len(fixed) :])
            at, at_hertz = driven_at(motors, drive, rpm, shaft / (rpm * RAD_PER_RPM), poles, part.shape)
            taken = drive_input(drive, at, volts)
            watts = at.input_power_w + scatter * (taken.input_power_w - at.input_power_w)
            line = taken.current_a * watts / taken.input_power_w
            return Columns(part, system.pressure_at(part), rpm, shaft, watts, np.asarray(line), at_hertz)

        fixed = (*found.curve_inputs, found.speed, DRIVE_SCATTER)
        ids = tuple(demand.id for demand in demands)
        saying = Saying(How.ON_DRIVE, NO_TORQUE, "frequency")
        solved = solve_steps(ids, work, (*fixed, *own.estimates), saying)
        return tuple(
            solved[demand.id].noted(HELD if demand.floor > demand.share else "", AS_DATA) for demand in demands
        )

    def motor(self, found: FoundMachine) -> TypicalMotor | None:
        """None: its watts rest on a motor solved at each frequency."""
        return None
