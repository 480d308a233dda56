"""Rigs that do not ship: the machine of a job with its fitted motor, or a motor of the catalogue on a wheel made for it."""

from __future__ import annotations

from dataclasses import replace

from modest_rotor.core.bench.stand import Stand
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.identify.fit import fit_motor
from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.rating import product_facts
from modest_rotor.core.outcome import Absent
from modest_rotor.core.physics.drive import Drive, Rectifier
from modest_rotor.core.physics.electronic import ElectronicMotor
from modest_rotor.core.physics.fan import MachineCurve, MachineType, generic_shape
from modest_rotor.core.physics.load import Load
from modest_rotor.core.physics.operating_point import InductionMotor
from modest_rotor.core.physics.system import system_through
from modest_rotor.core.say import say
from modest_rotor.core.stations.product import Product

USUAL_PRESSURE_PA = {
    MachineType.FORWARD_CURVED: 200.0,
    MachineType.BACKWARD_INCLINED: 350.0,
    MachineType.AXIAL: 90.0,
    MachineType.PUMP: 100_000.0,
}
"""Pressure of a wheel where none is known. Our judgement, no source."""
LOAD_SHARE = 0.9
"""Share of a catalogue motor's rated power that its wheel on the Bench takes. Common practice: motors are fitted a little large."""
INERTIA_OF = {
    MachineType.FORWARD_CURVED: 1.0,
    MachineType.BACKWARD_INCLINED: 1.2,
    MachineType.AXIAL: 0.8,
    MachineType.PUMP: 0.2,
}
INERTIA_KGM2, INERTIA_POWER_W, INERTIA_RPM = 0.05, 373.0, 1075.0
"""Inertia of a forward-curved blower of half a horsepower; others by their energy at speed. Our judgement, no source."""
OWN_FAN = (MotorKind.THREE_PHASE, MotorKind.SINGLE_PHASE)
"""Kinds that mostly have a fan on their own shaft. Common practice."""


def stand_of_machine(name: str, machine: FoundMachine | Absent, refusal: Absent | None = None) -> Stand:
    """The machine of a job as a stand: its motor fitted to its plate and readings, its wheel and duct through the point found.

    :param machine: as found, or what it waits for. :param refusal: why its motor was not fitted, where it was not.
    :raises OutsideValidity: there is no machine yet, or no motor; in words that say what it waits for.

    Where flow or pressure was not measured, the usual one of the wheel stands in, and the notes say so. Source: our judgement
    for what is not measured.
    """
    if isinstance(machine, Absent):
        raise OutsideValidity(say("rigs-stand-of-machine", without_stop=_without_stop(machine.why)))
    plate, machine_type = machine.plate, machine.machine_type
    power, speed = machine.shaft_power.value, machine.speed.value
    motor, notes = _own_motor(machine, refusal)
    flow, pressure, more = _duct(machine, power)
    curve = MachineCurve(machine.shape, flow, pressure, power, machine.place.value)
    fixed = machine.fixed_pressure.value if machine.pressure_is_measured else 0.0
    return Stand(
        name,
        motor,
        float(plate.rated_voltage_v or machine.volts.value),
        float(plate.frequency_hz or 50.0),
        Load(curve, speed, system_through(flow, pressure, min(fixed, 0.95 * pressure), machine.exponent.value)),
        inertia_kgm2(machine_type, power, speed),
        own_fan=plate.kind in OWN_FAN,
        notes=(*notes, *more),
    )


def _own_motor(
    machine: FoundMachine, refusal: Absent | None
) -> tuple[InductionMotor | ElectronicMotor, tuple[str, ...]]:
    plate = machine.plate
    if plate.is_electronic:
        if not (plate.rated_power_w and plate.rated_speed_rpm):
            raise OutsideValidity(say("rigs-own-motor-job-s"))
        return ElectronicMotor(plate.rated_power_w, plate.rated_speed_rpm, plate.printed_efficiency), ()
    fitted = machine.own or machine.new
    if fitted is None:
        why = _without_stop(refusal.why) if refusal else say("rigs-own-motor-plate-lacks")
        raise OutsideValidity(say("rigs-own-motor-motor-job", why=why))
    return fitted.motor, () if machine.own else (say("rigs-own-motor-motor-fitted"),)


def _duct(machine: FoundMachine, power_w: float) -> tuple[float, float, tuple[str, ...]]:
    """Flow and pressure of the point found; where they are relative, what a usual wheel makes of its shaft power."""
    if machine.flow_is_measured and machine.pressure_is_measured:
        return machine.flow.value, machine.pressure.value, ()
    efficiency = machine.shape.best_efficiency
    usual = USUAL_PRESSURE_PA[machine.machine_type]
    if machine.flow_is_measured:
        pressure = min(power_w * efficiency / machine.flow.value, 3 * usual)
        return machine.flow.value, pressure, (say("rigs-duct-pressure-measured"),)
    pressure = machine.pressure.value if machine.pressure_is_measured else usual
    return power_w * efficiency / pressure, pressure, (say("rigs-duct-flow-measured"),)


def stand_of_product(product: Product, machine_type: MachineType) -> Stand:
    """A motor of the catalogue on a wheel made for it, at nine tenths of its rated power.

    :raises OutsideValidity: no motor, or a data sheet that does not make one; in words. Source: as the constants say.
    """
    if product.motor_kind is None or not product.rated_power or not product.rated_speed:
        raise OutsideValidity(say("rigs-stand-of-product-motor-can", product=product.name))
    volts, hertz = product.rated_voltage.si if product.rated_voltage else 230.0, 50.0
    motor: InductionMotor | ElectronicMotor
    if product.motor_kind is MotorKind.ELECTRONIC:
        motor = ElectronicMotor(product.rated_power.si, product.rated_speed.si, product.expected_efficiency)
        hertz = product.frequency.si if product.frequency else hertz
    else:
        facts = product_facts(product, product.motor_kind)
        if isinstance(facts, Absent):
            raise OutsideValidity(say("rigs-stand-of-product-motor-cannot", facts=facts.why))
        motor, hertz = fit_motor(facts).motor, float(facts.frequency_hz or hertz)
    power, speed = LOAD_SHARE * product.rated_power.si, product.rated_speed.si
    shape, pressure = generic_shape(machine_type), USUAL_PRESSURE_PA[machine_type]
    flow = power * shape.best_efficiency / pressure
    load = Load(MachineCurve(shape, flow, pressure, power, 1.0), speed, system_through(flow, pressure, 0.0))
    own_fan = product.air_over == "no" or (product.air_over is None and product.motor_kind in OWN_FAN)
    notes = (say("rigs-stand-of-product-wheel-takes", machine_type=machine_type),)
    return Stand(
        product.name, motor, volts, hertz, load, inertia_kgm2(machine_type, power, speed), own_fan=own_fan, notes=notes
    )


def on_a_drive(stand: Stand) -> Stand:
    """The same stand with a drive before its motor.

    :raises OutsideValidity: a motor that no drive is put before. Source: rating at a tenth over the motor's power, our judgement.
    """
    if stand.is_electronic or stand.has_capacitor or stand.has_start_switch or stand.drive is not None:
        raise OutsideValidity(say("rigs-on-a-drive"))
    built = stand.as_built.motor
    drive = Drive(
        1.1 * float(built.shaft_power_w),
        1.2 * float(built.current_a),
        stand.hertz,
        stand.volts,
        rectifier=Rectifier.THREE_PHASE,
    )
    return replace(stand, name=f"{stand.name}, on a drive", drive=drive)


def inertia_kgm2(machine_type: MachineType, power_w: float, speed_rpm: float) -> float:
    """Likely inertia of rotor and wheel, by their energy at speed in proportion to power. Source: our judgement, no source."""
    return INERTIA_OF[machine_type] * INERTIA_KGM2 * power_w / INERTIA_POWER_W * (INERTIA_RPM / speed_rpm) ** 2


def _without_stop(sentence: str) -> str:
    return sentence.strip().rstrip(".")
