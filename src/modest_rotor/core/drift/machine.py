"""The machine that runs since set-up, solved where it was signed off, so that causes can be put into it."""

from __future__ import annotations

import math
from collections.abc import Mapping

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.identify.perturb import Measurand, Setup
from modest_rotor.core.job import Job
from modest_rotor.core.options.contract import Asked, OptionKind
from modest_rotor.core.options.drive import motor_on_drive
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.registry import BY_KIND, traits_of
from modest_rotor.core.options.traits import Holds, SetBy
from modest_rotor.core.outcome import Absent, Waiting, Withheld
from modest_rotor.core.physics.electronic import Command, ElectronicMotor
from modest_rotor.core.physics.fan import MachineCurve, generic_shape
from modest_rotor.core.physics.load import Load
from modest_rotor.core.physics.supply import Supply
from modest_rotor.core.physics.system import system_through
from modest_rotor.core.say import say
from modest_rotor.core.stations.options import Candidate

ORDINARY_EFFICIENCY = 0.78
"""Shaft power over input power of small motors, where no motor is solved: only ratios are wanted. Our judgement, no source."""
ORDINARY_SLIP = 0.03
COMMANDS = {Holds.TORQUE: Command.TORQUE, Holds.AIRFLOW: Command.AIRFLOW}
KEPT = Candidate(id="keep", kind=OptionKind.KEEP)


def machine_since(job: Job, machine: FoundMachine | Absent, healthy: Mapping[Measurand, float]) -> Setup | Absent:
    """Motor, supply and load that settle where the healthy state was read.

    :param machine: put right, as Options takes it. :param healthy: what the meters showed then, in SI and rpm; flow and
        pressure may be missing, and are then relative.
    :returns: ready for causes, or the sentence that says what it waits for.

    Validity: ratios of readings only. Source: the equations of motor and load, through one point.
    """
    if isinstance(machine, Absent):
        return machine
    chosen = next((one for one in job.document.options.candidates if one.id == job.document.decision.chosen), KEPT)
    speed = healthy.get(Measurand.SPEED) or machine.speed.value
    watts = healthy.get(Measurand.WATTS) or machine.input_power.value
    flow, pressure = healthy.get(Measurand.FLOW) or 1.0, healthy.get(Measurand.PRESSURE) or 1.0
    power = ORDINARY_EFFICIENCY * watts
    if not (speed > 0 and power > 0 and flow > 0 and pressure > 0):
        return Waiting(say("drift-machine-machine-since"))
    curve = MachineCurve(generic_shape(machine.machine_type), flow, pressure, power, 1.0)
    load = Load(curve, speed, system_through(flow, pressure, 0.0))
    try:
        return _with_motor(chosen, machine, load, speed, power, healthy)
    except OutsideValidity as refusal:
        return Withheld(refusal.sentence)


def _with_motor(
    chosen: Candidate,
    machine: FoundMachine,
    load: Load,
    speed: float,
    power: float,
    healthy: Mapping[Measurand, float],
) -> Setup | Absent:
    volts = healthy.get(Measurand.VOLTS) or machine.volts.value
    traits = traits_of(chosen.kind)
    if traits.synchronous:
        rating = BY_KIND[chosen.kind].rating(machine, chosen)
        motor = ElectronicMotor(max(rating.power_w, power), max(rating.speed_rpm, speed), rating.efficiency)
        command = COMMANDS.get(traits.holds or Holds.SPEED, Command.SPEED)
        torque = power / (speed * math.pi / 30) / motor.rated_torque_nm
        flow = float(load.machine.flow)
        value = {Command.TORQUE: torque, Command.AIRFLOW: flow, Command.SPEED: speed}[command]
        return Setup(motor, Supply(volts, 50.0), load, command, value)
    fitted = motor_on_drive(machine, Asked(None, chosen)) if traits.set_by is SetBy.DRIVE else machine.own
    if fitted is None or isinstance(fitted, Absent):
        return fitted or Waiting(say("drift-machine-with-motor"))
    rated_v, rated_hz, poles = fitted.plate.rated_voltage_v, fitted.plate.frequency_hz, fitted.plate.poles
    assert rated_v and rated_hz and poles
    if traits.set_by is not SetBy.DRIVE:
        return Setup(fitted.motor, Supply(volts or rated_v, rated_hz), load)
    hertz = speed * poles / 120 / (1 - ORDINARY_SLIP)
    return Setup(fitted.motor, Supply(rated_v * min(hertz / rated_hz, 1.0), hertz), load)
