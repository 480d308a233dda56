"""Why a needle moved: each meter as a product of factors of the solved machine; the factor that moved most names the reason."""

from __future__ import annotations

import math
from dataclasses import dataclass
from enum import IntEnum, StrEnum

from modest_rotor.core.bench.run import AMBIENT_C, steady_winding_c
from modest_rotor.core.bench.stand import BARE_SHARE, Controls, Stand, at_the_line, setup_of
from modest_rotor.core.physics.operating_point import OperatingPoint
from modest_rotor.core.physics.two_axis import Auxiliary, TwoAxisMotor
from modest_rotor.core.tables import find_row

READABLE, READABLE_SPEED, READABLE_KELVIN = 0.01, 0.001, 1.0
"""Moves below which a meter of the Bench shows none: shares, and kelvin of the winding. Our judgement, no source."""
NOTHING = 1e-9


class Moves(IntEnum):
    """Which way a needle goes: what a learner predicts."""

    FALLS = -1
    SAME = 0
    RISES = 1


class Meter(StrEnum):
    """The meters that are predicted and explained."""

    SPEED = "speed"
    SLIP = "slip"
    TORQUE = "torque"
    WATTS = "watts"
    AMPS = "amps"
    POWER_FACTOR = "power factor"
    FLOW = "flow"
    PRESSURE = "pressure"
    CAPACITOR_VOLTS = "capacitor volts"
    WINDING = "winding"


@dataclass(frozen=True)
class Reason:
    """Why one needle moved.

    :param before: value in SI, rpm, or a share. :param after: likewise.
    :param parts: contribution of each factor to the logarithm of after over before; they add up to it.
    :param factor: the one that explains it, with its ``words``; none where it stands still.
    """

    meter: Meter
    before: float
    after: float
    moves: Moves
    parts: dict[str, float]
    factor: str | None
    words: str


@dataclass(frozen=True)
class _Solved:
    """One state of the rig with the factors of its meters."""

    values: dict[Meter, float]
    factors: dict[Meter, dict[str, float]]


def reasons(stand: Stand, before: Controls, after: Controls) -> dict[Meter, Reason]:
    """Every meter that both states have: which way it went and why, by what the model did.

    :raises OutsideValidity: as :func:`setup_of`.

    Each meter is a product of factors, so the logarithm of its change is the sum of theirs; the factor that moved it most in
    its own direction is the reason. Validity: steady running on both sides. Source: definitions; slip as torque over flux
    squared times what rotor and windings make of it, textbooks.
    """
    first, second = _solve(stand, before), _solve(stand, after)
    return {meter: _reason(meter, first, second) for meter in first.values if meter in second.values}


def _reason(meter: Meter, first: _Solved, second: _Solved) -> Reason:
    was, now = first.values[meter], second.values[meter]
    parts = {
        name: math.log(second.factors[meter][name] / first.factors[meter][name])
        for name in first.factors[meter]
        if name in second.factors[meter]
    }
    moves = _moves(meter, was, now)
    if moves is Moves.SAME:
        return Reason(meter, was, now, moves, parts, None, "it stays as it was")
    factor = max(parts, key=lambda name: moves * parts[name])
    row = find_row("mechanisms", meter=str(meter), factor=factor)
    return Reason(meter, was, now, moves, parts, factor, row["rises" if moves is Moves.RISES else "falls"])


def _moves(meter: Meter, was: float, now: float) -> Moves:
    if meter is Meter.WINDING:
        change, least = now - was, READABLE_KELVIN
    else:
        change, least = now / was - 1, READABLE_SPEED if meter is Meter.SPEED else READABLE
    if abs(change) < least:
        return Moves.SAME
    return Moves.RISES if change > 0 else Moves.FALLS


def _solve(stand: Stand, controls: Controls) -> _Solved:
    setup = setup_of(stand, controls)
    at = setup.settled()
    motor, load = at.motor, at.load
    line = at_the_line(stand, motor)
    speed, shaft, torque = float(motor.speed_rpm), float(motor.shaft_power_w), float(load.torque_nm)
    watts, amps, factor = line.watts, line.amps, line.power_factor
    volts = float(setup.supply.voltage) if stand.drive is None else stand.volts
    flow, pressure = float(load.flow), float(load.pressure)
    rubbing = 1 + float(setup.load.drag_nm) / max(torque - float(setup.load.drag_nm), NOTHING)
    on = BARE_SHARE if controls.bare else 1.0
    wheel = torque / rubbing / on / speed**2
    values = {
        Meter.SPEED: speed,
        Meter.TORQUE: torque,
        Meter.WATTS: watts,
        Meter.AMPS: amps,
        Meter.POWER_FACTOR: factor,
    }
    factors = {
        Meter.TORQUE: {"speed": speed**2, "wheel": wheel, "rubbing": rubbing, "load": on},
        Meter.WATTS: {"shaft": shaft, "losses": watts / shaft},
        Meter.AMPS: {"watts": watts, "volts": 1 / volts, "power factor": 1 / factor},
        Meter.POWER_FACTOR: {"watts": watts, "volt-amperes": factor / watts},
    }
    slip = float(motor.slip)
    if slip > 0:
        flux, field = float(motor.flux), speed / (1 - slip)
        values[Meter.SLIP] = slip
        factors[Meter.SPEED] = {"field": field, "slip": 1 - slip}
        factors[Meter.SLIP] = {"torque": torque, "flux": flux**-2, "shape": slip * flux**2 / torque}
    else:
        factors[Meter.SPEED] = {"told": speed}
    if not controls.bare and flow > NOTHING:
        values |= {Meter.FLOW: flow, Meter.PRESSURE: pressure}
        factors[Meter.FLOW] = {"speed": speed, "system": flow / speed}
        factors[Meter.PRESSURE] = {"speed": speed**2, "wheel": pressure / speed**2}
    own = stand.motor
    if (
        isinstance(own, TwoAxisMotor)
        and own.auxiliary is Auxiliary.CAPACITOR
        and float(motor.capacitor_voltage_v) > NOTHING
    ):
        values[Meter.CAPACITOR_VOLTS] = float(motor.capacitor_voltage_v)
        health, hertz, current = controls.capacitor, float(setup.supply.frequency), float(motor.auxiliary_current_a)
        rest = float(motor.capacitor_voltage_v) / (current / (health * hertz))
        factors[Meter.CAPACITOR_VOLTS] = {"current": current * rest, "capacitor": 1 / health, "hertz": 1 / hertz}
    values[Meter.WINDING], factors[Meter.WINDING] = _winding(stand, controls, at)
    return _Solved(values, factors)


def _winding(stand: Stand, controls: Controls, at: OperatingPoint) -> tuple[float, dict[str, float]]:
    """Temperature that the winding goes to, and its rise as losses times what the air does not carry off."""
    flow = 0.0 if controls.bare else float(at.load.flow)
    warm = steady_winding_c(stand, at.motor, flow)
    losses = float(at.motor.total_loss_w)
    return warm, {"losses": losses, "air": (warm - AMBIENT_C) / losses}
