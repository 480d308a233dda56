"""The operating point of an electronic motor that is told a torque, an airflow or a speed."""

from __future__ import annotations

import numpy as np

from modest_rotor.core.physics.electronic import Command, ElectronicMotor, losses_w, torque_limit_nm
from modest_rotor.core.physics.fields import HAIR, RAD_S_PER_RPM, Real, choose
from modest_rotor.core.physics.load import Load
from modest_rotor.core.physics.motor_point import MotorPoint
from modest_rotor.core.physics.operating_point import CRAWL_RPM, Condition, OperatingPoint
from modest_rotor.core.physics.roots import crossing

HALVINGS = 12
"""Halvings before the root finder, over a range that begins at a crawl."""


def settle_commanded(
    motor: ElectronicMotor, command: Command, value: Real, load: Load, voltage: Real
) -> OperatingPoint:
    """The operating point of an electronic motor on its load.

    :param motor: the motor.
    :param command: what it holds.
    :param value: rated torque's share, flow in m³/s (or relative), or speed in rpm; arrays broadcast.
    :param load: what it turns.
    :param voltage: supply, V; only for the line amps.

    Where the command asks for more than torque, power or speed allow, the point on the limit is given and its condition
    says so. Validity: steady running. Source: torque balance; common practice for the three ways of command.
    """
    top = motor.module.speed_limit * motor.rated_speed_rpm
    if command is Command.TORQUE:
        wanted, reachable = _speed_with_torque(motor, load, value, top), True
        limited = wanted >= top * (1 - HAIR)
    else:
        wanted, reachable = load.at_flow(value) if command is Command.AIRFLOW else (value + 0.0, True)
        limit = _speed_with_torque(motor, load, None, top)
        limited = (wanted > limit * (1 + HAIR)) | ~np.asarray(reachable)
        wanted = choose(limited if np.ndim(limited) else bool(limited), limit, wanted)
    at = load.at_motor_speed(wanted)
    condition = np.where(at.dead_headed, int(Condition.DEAD_HEADED), int(Condition.RUNS))
    condition = np.where(at.beyond, int(Condition.OUTSIDE_CURVE), condition)
    condition = np.where(limited, int(Condition.LIMIT_REACHED), condition)
    return OperatingPoint(_point(motor, wanted, at.torque_nm, voltage), at, condition, wanted)


def _speed_with_torque(motor: ElectronicMotor, load: Load, share: Real | None, top: Real) -> Real:
    """Speed at which a share of rated torque, or all that the limits allow, just turns the load."""

    def surplus(speed: Real) -> Real:
        most = torque_limit_nm(motor, speed)
        given = (
            most if share is None else choose(share * motor.rated_torque_nm < most, share * motor.rated_torque_nm, most)
        )
        return given - load.torque_at(speed)

    zero = 0 * surplus(top)
    low, high = CRAWL_RPM + zero, top + zero
    free = surplus(high) >= 0
    for _ in range(HALVINGS):
        middle = (low + high) / 2
        faster = surplus(middle) > 0
        low, high = choose(faster, middle, low), choose(faster, high, middle)
    return choose(free, top + zero, crossing(surplus, low, high))


def _point(motor: ElectronicMotor, speed_rpm: Real, torque_nm: Real, voltage: Real) -> MotorPoint:
    shaft = torque_nm * speed_rpm * RAD_S_PER_RPM
    losses = losses_w(motor, torque_nm, speed_rpm)
    watts = shaft + sum(losses.values())
    amps = watts / (voltage * motor.module.power_factor)
    return MotorPoint(
        speed_rpm=speed_rpm,
        slip=0 * amps,
        torque_nm=torque_nm,
        shaft_power_w=shaft,
        input_power_w=watts,
        current_a=amps,
        power_factor=motor.module.power_factor + 0 * amps,
        main_current_a=0 * amps,
        auxiliary_current_a=0 * amps,
        capacitor_voltage_v=0 * amps,
        flux=0 * amps,
        losses_w=losses,
    )
