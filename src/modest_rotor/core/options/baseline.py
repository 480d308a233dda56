"""The machine as it should be: what the ranking of causes holds the readings of today against."""

from __future__ import annotations

import math
from dataclasses import dataclass, replace

import numpy as np

from modest_rotor.core.errors import Refusal
from modest_rotor.core.estimate import Estimate
from modest_rotor.core.identify.causes import REPEATS, Observed
from modest_rotor.core.identify.fit import FittedMotor, fit_motor
from modest_rotor.core.identify.motor import PlateFacts
from modest_rotor.core.identify.perturb import Measurand, Setup, measurands
from modest_rotor.core.identify.rows import Reading
from modest_rotor.core.outcome import Absent, Waiting, Withheld
from modest_rotor.core.physics.electronic import Command, ElectronicMotor
from modest_rotor.core.physics.fan import MachineCurve, MachineType, generic_shape
from modest_rotor.core.physics.load import Belt, Load
from modest_rotor.core.physics.supply import Supply
from modest_rotor.core.physics.system import system_through
from modest_rotor.core.say import say
from modest_rotor.core.stations.motor_fit import LOWER_TAPS, MotorFit, motor_readings
from modest_rotor.core.stations.readings import DuctState
from modest_rotor.core.stations.set_facts import SetFacts

EXPECTED_LOAD = 0.85
"""Load of a machine as it was sized, over rated power, where nothing better is known. Our judgement, no source."""
EXPECTED_SD = {
    Measurand.SPEED: 0.012,
    Measurand.VOLTS: 0.01,
    Measurand.AMPS: 0.12,
    Measurand.WATTS: 0.13,
    Measurand.FLOW: 0.10,
    Measurand.PRESSURE: 0.20,
}
"""How far a machine in order strays from what plate and design promise, standard deviation of the logarithm. Our judgement,
no source: a set that was read while all was well tells far more."""
LEAST_RATIO = 0.01
ORDINARY_EFFICIENCY = 0.8


@dataclass(frozen=True)
class Baseline:
    """The machine as it should be, and how each reading stands against it.

    :param against: in words, what it is held against. :param rough: whether that is plate and design only.
    """

    setup: Setup
    observed: dict[Measurand, Observed]
    now: SetFacts
    against: str
    rough: bool
    belted: bool


def baseline(
    plate: PlateFacts, holds: str | None, machine_type: MachineType | None, sets: tuple[SetFacts, ...], fit: MotorFit,
    wanted: float | None, static: float | None,
) -> Baseline | Absent:  # fmt: skip
    """The machine as it should be, from a set that was read while it was right, or else from plate and design.

    :param holds: what an electronic motor holds. :param wanted: wanted flow, m³/s. :param static: static of the design, Pa.
    :returns: a sentence that says what is missing, where there is no baseline.
    """
    if machine_type is None:
        return Waiting(say("term-waits-for-what-the-motor"))
    on_machine = [facts for facts in sets if facts.reading.duct is not DuctState.BARE_SHAFT]
    judged = [facts for facts in reversed(on_machine) if not facts.reading.is_good and not facts.reading.is_empty]
    good_on = {facts.reading.tap: facts for facts in on_machine if facts.reading.is_good}
    # The last set with a good one of its own tap; else the last on the full setting; else the last of all.
    now = next(
        (facts for facts in judged if facts.reading.tap in good_on),
        next((facts for facts in judged if facts.on_full_tap), next(iter(judged), None)),
    )
    if now is None:
        return Waiting(say("baseline-waits-set"))
    good = good_on.get(now.reading.tap)
    try:
        if good is not None:
            return _from_good_set(plate, holds, machine_type, good, now)
        return _from_design(plate, machine_type, now, fit, wanted, static)
    except Refusal as refusal:
        return Withheld(refusal.sentence)


def _from_good_set(
    plate: PlateFacts, holds: str | None, machine_type: MachineType, good: SetFacts, now: SetFacts
) -> Baseline | Absent:
    motor = _electronic(plate, good, holds) if plate.is_electronic else _own(plate, good)
    if isinstance(motor, Absent):
        return motor
    speed = good.running.speed
    if speed is None or speed.value <= 0:
        return Waiting(say("baseline-from-good-set-waits-speed", good=good.title))
    setup = _setup(plate, motor, holds, machine_type, good, speed.value)
    if isinstance(setup, Absent):
        return setup
    observed = {
        measurand: _moved(before, after, measurand)
        for measurand, (before, after) in _pairs(good, now, machine_type).items()
        if before is not None and after is not None and before.value > 0
    }
    belted = bool(good.reading.fan_speed and now.reading.fan_speed)
    if len(observed) < 2:
        return Waiting(say("baseline-from-good-set-waits-two", good=good.title, now=now.title))
    return Baseline(setup, observed, now, say("baseline-from-good-set-when-right", good=good.title), False, belted)


def _own(plate: PlateFacts, good: SetFacts) -> FittedMotor | Absent:
    """The motor fitted to its plate and the good set alone: what is wrong today must not bend it."""
    readings = motor_readings(plate, (good.reading,))
    if not readings:
        return Waiting(say("baseline-own", good=good.title))
    known: tuple[Reading, ...] = (readings[0][1],)
    return fit_motor(plate, known)


def _electronic(plate: PlateFacts, good: SetFacts, holds: str | None) -> ElectronicMotor | Absent:
    if holds is None:
        return Waiting(say("baseline-electronic-waits-what"))
    if plate.rated_power_w is None or plate.rated_speed_rpm is None:
        return Waiting(say("baseline-electronic-waits-rated"))
    return ElectronicMotor(plate.rated_power_w, plate.rated_speed_rpm, plate.printed_efficiency)


def _setup(
    plate: PlateFacts, motor: FittedMotor | ElectronicMotor, holds: str | None, machine_type: MachineType, good: SetFacts, speed: float
) -> Setup | Absent:  # fmt: skip
    """Motor, supply and load so that they settle where the good set was read."""
    volts = good.running.voltage.value if good.running.voltage else plate.rated_voltage_v
    if not volts:
        return Waiting(say("baseline-setup-waits-volts"))
    flow = good.flow.value if good.flow and good.flow.value > 0 else 1.0
    pressure = good.pressure.value if good.pressure and good.pressure.value > 0 else 1.0
    if isinstance(motor, ElectronicMotor):
        watts = good.running.input_power
        power = ORDINARY_EFFICIENCY * (watts.value if watts else plate.rated_power_w or 0.0)
        hertz = plate.frequency_hz or 50.0
    else:
        assert plate.frequency_hz and good.synchronous_rpm
        hertz = good.reading.frequency.si if good.reading.frequency else plate.frequency_hz
        at = motor.motor.at_slip(_supply(motor, good, volts, hertz), 1 - speed / good.synchronous_rpm)
        power = float(np.ravel(at.shaft_power_w)[0])
    if not power > 0:
        return Withheld(say("baseline-setup-motor-gives", good=good.title))
    fan = good.reading.fan_speed
    belt = Belt(ratio=fan.si / speed) if fan and fan.si > 0 else Belt()
    machine = MachineCurve(generic_shape(machine_type), flow, pressure, power, 1.0)
    load = Load(machine, belt.machine_speed(speed), system_through(flow, pressure, 0.0), belt)
    if isinstance(motor, ElectronicMotor):
        command = Command(holds or "speed")
        torque = power / (speed * math.pi / 30) / motor.rated_torque_nm
        value = {Command.TORQUE: torque, Command.AIRFLOW: flow, Command.SPEED: speed}[command]
        return Setup(motor, Supply(volts, hertz), load, command, value)
    return Setup(motor.motor, _supply(motor, good, volts, hertz), load)


def _supply(fitted: FittedMotor, good: SetFacts, volts: float, hertz: float) -> Supply:
    """The supply of the good set, on the tap that was live, with the turns that were fitted to it."""
    name = LOWER_TAPS.get(good.reading.tap) if good.reading.tap else None
    if name is None:
        return Supply(volts, hertz)
    family, numbers = fitted.family, fitted.numbers
    return Supply(volts, hertz, tap=float(family.tap(name, numbers)), tap_in_line=float(family.tap_in_line(numbers)))


def _from_design(
    plate: PlateFacts, machine_type: MachineType, now: SetFacts, fit: MotorFit, wanted: float | None, static: float | None
) -> Baseline | Absent:  # fmt: skip
    if fit.bare is None:
        return fit.refusal or Waiting(say("term-waits-for-the-plate"))
    if not now.on_full_tap:
        return Waiting(say("baseline-from-design-waits-set"))
    assert plate.rated_power_w and plate.rated_speed_rpm and plate.frequency_hz and plate.rated_voltage_v
    motor, flow, pressure = fit.bare.motor, wanted or 1.0, static or 1.0
    machine = MachineCurve(generic_shape(machine_type), flow, pressure, EXPECTED_LOAD * plate.rated_power_w, 1.0)
    load = Load(machine, plate.rated_speed_rpm, system_through(flow, pressure, 0.0))
    setup = Setup(motor, Supply(plate.rated_voltage_v, plate.frequency_hz), load)
    shown = measurands(setup.settled())
    observed = {}
    read = _read(now, machine_type)
    for measurand, sd in EXPECTED_SD.items():
        value = read[measurand]
        known = (measurand is not Measurand.FLOW or wanted) and (measurand is not Measurand.PRESSURE or static)
        expected = plate.rated_voltage_v if measurand is Measurand.VOLTS else float(np.ravel(shown[measurand])[0])
        if value is None or not known or expected <= 0:
            continue
        ratio = max(value.value / expected, LEAST_RATIO)
        observed[measurand] = Observed(math.log(ratio), math.hypot(sd, value.standard / max(abs(value.value), 1e-9)))
    if len(observed) < 3:
        return Waiting(say("baseline-from-design-waits-three"))
    return Baseline(setup, observed, now, say("baseline-from-design-what-plate"), True, False)


def _read(facts: SetFacts, machine_type: MachineType) -> dict[Measurand, Estimate | None]:
    running, reading = facts.running, facts.reading
    return {
        Measurand.SPEED: running.speed,
        Measurand.VOLTS: running.voltage,
        Measurand.AMPS: running.current,
        Measurand.WATTS: running.input_power,
        Measurand.FLOW: facts.flow,
        Measurand.PRESSURE: None if facts.one_sided else facts.pressure,
        Measurand.CAPACITOR_VOLTS: Estimate(reading.run_capacitor_volts.si) if reading.run_capacitor_volts else None,
        Measurand.MACHINE_SPEED: Estimate(reading.fan_speed.si) if reading.fan_speed else None,
    }


def _pairs(
    good: SetFacts, now: SetFacts, machine_type: MachineType
) -> dict[Measurand, tuple[Estimate | None, Estimate | None]]:
    before, after = _read(good, machine_type), _read(now, machine_type)
    return {measurand: (before[measurand], after[measurand]) for measurand in before}


def _moved(before: Estimate, after: Estimate, measurand: Measurand) -> Observed:
    """Logarithm of after over before; what one meter is off in both falls out."""
    floor = LEAST_RATIO * before.value
    later = after if after.value > floor else replace(after, value=floor, contributions={})
    change = later * (1 / later.value) - before * (1 / before.value)
    return Observed(math.log(later.value / before.value), math.hypot(change.standard, REPEATS[measurand]))
