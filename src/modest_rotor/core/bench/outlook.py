"""Where a rig goes with its controls as they stand: its meters at rest, its curves, and what is to be said of it."""

from __future__ import annotations

import numpy as np

from modest_rotor.core.assessment import BalanceCurve
from modest_rotor.core.bench.run import Prepared, State, settled
from modest_rotor.core.bench.stand import Controls, Stand, load_of, solved, synchronous_rpm
from modest_rotor.core.bench.why import Meter, values_of
from modest_rotor.core.estimate import Array
from modest_rotor.core.phrase import Frozen
from modest_rotor.core.physics.electronic import ElectronicMotor, torque_limit_nm
from modest_rotor.core.physics.load import Load
from modest_rotor.core.physics.operating_point import Condition
from modest_rotor.core.quantities import in_both_units
from modest_rotor.core.say import Number, say

POINTS = 60
DIGITS = 5
FIRST_SHARE = 0.02
HOT_C, BURNT_C = 130.0, 155.0
"""Limits of insulation classes B and F, °C: IEC 60085."""
METER_QUANTITIES = {
    Meter.SPEED: "speed",
    Meter.SLIP: "slip",
    Meter.TORQUE: "torque",
    Meter.WATTS: "input_power",
    Meter.AMPS: "current",
    Meter.POWER_FACTOR: "read_power_factor",
    Meter.CAPACITOR_VOLTS: "capacitor_voltage",
    Meter.START_AMPS: "current",
    Meter.WINDING: "shell_temperature",
    Meter.LINK: "link_voltage",
    Meter.RIPPLE: "current",
    Meter.MOTOR_VOLTS: "rated_voltage",
    Meter.LINE_PEAK: "current",
    Meter.YEAR: "energy",
}
"""In which quantity each meter is read; flow and pressure by what the rig moves."""


class TorquePlane(Frozen):
    """Torque against speed: the motor's, the load's, N·m and rpm; ``field`` is the synchronous speed, none without slip."""

    speed: tuple[float, ...]
    motor: tuple[float, ...]
    load: tuple[float, ...]
    field: float | None


class Outlook(Frozen):
    """Where a rig goes.

    ``values`` are its meters when it has run for good, in SI and rpm. ``says`` are sentences, the gravest first.
    """

    values: dict[Meter, float]
    curves: tuple[BalanceCurve, ...]
    torque: TorquePlane
    says: tuple[str, ...]


def quantity_of(stand: Stand, meter: Meter) -> str:
    """The quantity in which a meter of a stand is read. Source: table above."""
    if meter is Meter.FLOW:
        return stand.medium.flow
    if meter in (Meter.PRESSURE, Meter.SENSOR):
        return stand.medium.pressure
    return METER_QUANTITIES[meter]


def meters_of(stand: Stand) -> tuple[Meter, ...]:
    """The meters of a stand, in the order in which they are read. Source: the stand's own parts."""
    lacks = set[Meter]()
    if stand.is_electronic:
        lacks |= {Meter.SLIP}
    if not stand.has_capacitor:
        lacks |= {Meter.CAPACITOR_VOLTS, Meter.START_AMPS}
    if stand.drive is None:
        lacks |= {Meter.SENSOR, Meter.LINK, Meter.RIPPLE, Meter.MOTOR_VOLTS, Meter.LINE_PEAK}
    return tuple(meter for meter in Meter if meter not in lacks)


def outlook(stand: Stand, controls: Controls) -> Outlook:
    """Where a rig goes with its controls. Errors, validity and source as :func:`settled` and :func:`values_of`."""
    rig, state = settled(stand, controls)
    values = values_of(stand, controls)
    condition = Condition(int(solved(stand, controls, state.winding_c).condition))
    return Outlook(
        values={meter: _rounded(value) for meter, value in values.items()},
        curves=_curves(rig, state),
        torque=_plane(rig),
        says=_says(rig, condition, values),
    )


def _says(rig: Prepared, condition: Condition, values: dict[Meter, float]) -> tuple[str, ...]:
    found = []
    if condition is not Condition.RUNS and not (rig.controls.bare and condition is Condition.OUTSIDE_CURVE):
        found.append(f"{condition.words[0].upper()}{condition.words[1:]}.")
    winding = values[Meter.WINDING]
    if winding > BURNT_C:
        found.append(say("outlook-says-winding-goes", in_both_units=in_both_units(BURNT_C, "temperature")))
    elif winding > HOT_C:
        found.append(say("outlook-says-winding-goes-beyond", in_both_units=in_both_units(HOT_C, "temperature")))
    return tuple(found)


def _curves(rig: Prepared, state: State) -> tuple[BalanceCurve, ...]:
    """The machine's curve at its speed, of all that run side by side, and the system's; none of a bare shaft."""
    load = rig.setup.load
    if rig.controls.bare:
        return ()
    ratio = float(load.belt.machine_speed(state.speed_rpm) / load.speed_rpm)
    machine, system = load.machine, load.system
    most = load.running * machine.largest_flow(1.0)
    flow = np.linspace(0.0, most * (1 - 1e-9), POINTS)
    wanted = np.asarray(system.pressure_at(flow), float)
    built = load_of(rig.stand, Controls()).machine
    tallest = float(
        np.nanmax(built.pressure_at(np.linspace(0, built.largest_flow(1.0) * (1 - 1e-9), POINTS), np.array(1.0)))
    )
    shown = wanted <= 1.6 * tallest
    found = [BalanceCurve(id="system", label=say("term-system"), kind="system", series="ink", flow=_drawn(flow[shown]), pressure=_drawn(wanted[shown]))]  # fmt: skip
    if ratio > FIRST_SHARE:
        own = np.linspace(0.0, machine.largest_flow(ratio) * (1 - 1e-9), POINTS)
        made = machine.pressure_at(own, np.array(ratio))
        found.insert(0, BalanceCurve(id="found", label=say("outlook-curves-rpm", speed_rpm=Number(state.speed_rpm, ",.0f")), kind="machine", series="copper", flow=_drawn(own * load.running), pressure=_drawn(made)))  # fmt: skip
    return tuple(found)


def _plane(rig: Prepared) -> TorquePlane:
    """Torque over the whole speed range; an electronic motor's is what its electronics allow."""
    motor, load = rig.setup.motor, rig.setup.load
    if isinstance(motor, ElectronicMotor):
        top = float(motor.module.speed_limit * motor.rated_speed_rpm)
        speed = np.linspace(top * FIRST_SHARE, top, POINTS)
        return _torques(speed, np.asarray(torque_limit_nm(motor, speed), float), load, None)
    assert rig.curve is not None
    field = synchronous_rpm(rig.stand, rig.controls)
    speed = np.unique(np.r_[np.linspace(0.0, 0.8 * field, POINTS // 2), np.linspace(0.8 * field, field, POINTS // 2)])
    torque = np.interp(speed, rig.curve.speed_rpm, rig.curve.torque_nm)
    return _torques(speed, torque, load, field)


def _torques(speed: Array, torque: Array, load: Load, field: float | None) -> TorquePlane:
    asked = [float(load.torque_at(max(rpm, 1.0), rounds=1)) for rpm in speed.tolist()]
    return TorquePlane(
        speed=_drawn(speed), motor=_drawn(torque), load=tuple(_rounded(value) for value in asked), field=field
    )


def _drawn(values: Array) -> tuple[float, ...]:
    return tuple(_rounded(value) for value in values.tolist())


def _rounded(value: float) -> float:
    """No finer than a meter or a picture shows it."""
    return float(f"{value:.{DIGITS}g}")
