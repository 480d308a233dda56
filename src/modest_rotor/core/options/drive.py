"""A three-phase motor on a drive: the motor that is there, or a new one where the old is single-phase."""

from __future__ import annotations

from functools import lru_cache

import numpy as np

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import Array, exactly, measured
from modest_rotor.core.identify.fit import FittedMotor, fit_motor
from modest_rotor.core.identify.motor import MotorKind, PlateFacts
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
from modest_rotor.core.options.electronic import HELD
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.rating import product_motor, promised_losses
from modest_rotor.core.options.solved import RAD_PER_RPM, driven_at, stacked
from modest_rotor.core.options.traits import Brings, Holds, SetBy, Traits, on_a_drive
from modest_rotor.core.outcome import Absent, Waiting
from modest_rotor.core.physics.drive import Drive, Rectifier, drive_input
from modest_rotor.core.physics.load import Load
from modest_rotor.core.say import Number, say
from modest_rotor.core.stations.product import ProductType

DRIVE_SCATTER = measured(0.9, **{"losses of drives": 0.27})
"""Losses of a drive that is bought today over those of the published sheet, which is of 2012. Our judgement, no source: the better
class of IEC 61800-9-2 asks for a quarter less than its reference; the spread holds the sheet as well."""
NEW_MOTOR_SLIP = 0.04
"""Rated slip of a new three-phase motor of a few kilowatts or less. Common practice, no source."""
NEW_MOTOR_VOLTS = 230.0
LEAST_HZ_SHARE = 0.2
"""Share of base frequency below which a motor that cools itself is not run for long. Common practice, no source."""
CREST_FACTOR = 2.6
"""Peak of the line current over its true-rms amps where a rectifier without a choke is fed with one phase. Common practice."""
ONE_PHASE = say("options-drive-one-phase", crest_factor=Number(CREST_FACTOR, "g"))
WAITS = Waiting(say("options-drive-waits"))


class OnDrive(Option):
    """A three-phase motor on a drive that gives at each step the flow asked for."""

    kind = OptionKind.DRIVE
    traits = Traits(
        say("options-drive-on-drive-traits-three-phase"), "violet", electronics=True, commanded=True, brings=Brings.THREE_PHASE_MOTOR, suits=on_a_drive,
        set_by=SetBy.DRIVE, holds=Holds.SPEED, wears=say("term-the-drive-s-capacitors-and"),
    )  # fmt: skip

    def solve(self, found: FoundMachine, demands: tuple[Demand, ...], asked: Asked) -> tuple[SolvedStep, ...]:
        """The hertz that give each step its flow, and the watts that drive and motor take; never below a protected flow."""
        motor = motor_on_drive(found, asked)
        if motor is None or isinstance(motor, Absent):
            return absent_steps(demands, motor or WAITS)
        own = motor is found.own
        shares = np.array([demand.wanted for demand in demands])
        single = is_fed_with_one_phase(found, asked)
        drive = _drive(motor, single, asked.law)
        line_v, poles = found.volts.value or float(motor.plate.rated_voltage_v or 0), int(motor.plate.poles or 0)

        def work(*columns: Array) -> Columns:
            curve, (speed, scatter, worse) = columns[:CURVE], columns[CURVE : len(fixed)]
            machine, system = curve_and_system(found, *curve)
            part = curve[0] * shares
            rpm, reached = Load(machine, speed, system).at_flow(part)
            rpm = np.where(reached, rpm, np.nan)
            shaft = machine.power_at(part, rpm / speed)
            machines = stacked(motor.family, columns[len(fixed) :])
            at, hertz = driven_at(machines, drive, rpm, shaft / (rpm * RAD_PER_RPM), poles, part.shape)
            taken = drive_input(drive, at, line_v)
            motor_w = at.shaft_power_w + worse * (at.input_power_w - at.shaft_power_w)
            watts = motor_w + scatter * (taken.input_power_w - at.input_power_w)
            amps = taken.current_a * watts / taken.input_power_w
            return Columns(part, system.pressure_at(part), rpm, shaft, watts, np.asarray(amps), hertz)

        losses = exactly(1.0) if own else promised_losses(asked.candidate, motor)
        fixed = (*found.curve_inputs, found.speed, DRIVE_SCATTER, losses)
        estimates = motor.estimates if own else motor.as_new
        ids = tuple(demand.id for demand in demands)
        outside = say("options-drive-solve")
        solved = solve_steps(ids, work, (*fixed, *estimates), Saying(How.ON_DRIVE, outside, "frequency"))
        return tuple(_noted(solved[demand.id], demand, motor, single) for demand in demands)


def is_fed_with_one_phase(found: FoundMachine, asked: Asked) -> bool:
    """Whether the drive takes its power from one phase: as counted at the machine, else by the drive's sheet, else by the old
    motor's kind. Wires and breaker hang on it.

    :param found: the machine and its plate. :param asked: its phases and product. Source: common practice.
    """
    product = asked.candidate.product
    phases = asked.phases or (product.phases if product and product.type is ProductType.DRIVE else None)
    return phases == 1 if phases else found.plate.kind is not MotorKind.THREE_PHASE


def motor_on_drive(found: FoundMachine, asked: Asked) -> FittedMotor | Absent | None:
    """The three-phase motor that the drive would feed: a product's, the one that is there, or a new one of the same rating.

    :param found: the machine, its plate in SI. :param asked: the product, where one is named.

    ``None`` where the plate does not tell enough; absent where the product's sheet makes no motor. Source: the fit is :mod:`identify`; a new motor's slip
    is common practice.
    """
    named = product_motor(asked.candidate, MotorKind.THREE_PHASE, found.volts.value)
    if named is not None:
        return named
    plate = found.plate
    if plate.kind is MotorKind.THREE_PHASE:
        return found.own
    if not (plate.rated_power_w and plate.frequency_hz and plate.synchronous_speed_rpm and plate.poles):
        return None
    try:
        return _new_motor(plate.rated_power_w, plate.frequency_hz, plate.poles, plate.synchronous_speed_rpm)
    except OutsideValidity:
        return None


@lru_cache(maxsize=64)
def _new_motor(power_w: float, frequency_hz: float, poles: int, synchronous_rpm: float) -> FittedMotor:
    """A typical three-phase motor of a rating; a pure function of it, kept because many jobs ask for the same."""
    speed = synchronous_rpm * (1 - NEW_MOTOR_SLIP)
    torque = power_w / (speed * RAD_PER_RPM)
    kind, volts = MotorKind.THREE_PHASE, NEW_MOTOR_VOLTS
    return fit_motor(
        PlateFacts(kind, power_w, volts, None, speed, frequency_hz, poles, synchronous_rpm, NEW_MOTOR_SLIP, torque)
    )


def _drive(motor: FittedMotor, single_phase: bool, law: VoltsLaw) -> Drive:
    plate = motor.plate
    assert plate.rated_power_w and plate.rated_voltage_v and plate.frequency_hz and plate.rated_slip
    amps = plate.rated_current_a or plate.rated_power_w / (0.6 * np.sqrt(3) * plate.rated_voltage_v)
    rectifier = Rectifier.SINGLE_PHASE if single_phase else Rectifier.THREE_PHASE
    return Drive(
        plate.rated_power_w,
        float(amps),
        plate.frequency_hz,
        plate.rated_voltage_v,
        exponent=law.exponent,
        trim=law.trim,
        rectifier=rectifier,
    )


def _noted(step: SolvedStep, demand: Demand, motor: FittedMotor, single: bool) -> SolvedStep:
    notes = [HELD] if demand.floor > demand.share else []
    if single:
        notes.append(ONE_PHASE)
    synchronous = motor.plate.synchronous_speed_rpm or 0.0
    if step.speed and step.speed.value < LEAST_HZ_SHARE * synchronous:
        notes.append(say("options-drive-noted"))
    return step.noted(*notes)
