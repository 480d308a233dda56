"""Why a reading moved: each meter as a product of factors of the solved machine; the factor that moved most names the reason."""

from __future__ import annotations

import math
from dataclasses import dataclass
from enum import IntEnum

from modest_rotor.core.bench.run import Prepared, settled
from modest_rotor.core.bench.stand import (
    BARE_SHARE,
    Controls,
    Stand,
    at_slip,
    at_the_line,
    hertz_of,
    line_volts,
    load_of,
    solved,
)
from modest_rotor.core.bench.waves import waves_of
from modest_rotor.core.bench.year import year_kwh
from modest_rotor.core.coded import Coded
from modest_rotor.core.physics.electronic import Command
from modest_rotor.core.physics.operating_point import Condition, OperatingPoint
from modest_rotor.core.physics.supply import ALUMINIUM_PER_K, resistance_ratio
from modest_rotor.core.say import say
from modest_rotor.core.tables import find_row

READABLE, READABLE_SPEED, READABLE_KELVIN = 0.01, 0.001, 1.0
"""Moves below which a meter of the Bench shows none: shares, and kelvin of the winding. Our judgement, no source."""
NOTHING = 1e-6
STANDS = say("why-stands")
TURNS_AGAIN = say("why-turns-again")


class Moves(IntEnum):
    """Which way a reading goes: what a learner predicts."""

    FALLS = -1
    SAME = 0
    RISES = 1


class Meter(Coded):
    """The meters that are predicted and explained."""

    SPEED = "speed"
    SLIP = "slip"
    TORQUE = "torque"
    WATTS = "watts"
    AMPS = "amps"
    POWER_FACTOR = "power-factor"
    FLOW = "flow"
    PRESSURE = "pressure"
    SENSOR = "sensor"
    CAPACITOR_VOLTS = "capacitor-volts"
    START_AMPS = "start-amps"
    WINDING = "winding"
    LINK = "link"
    RIPPLE = "ripple"
    MOTOR_VOLTS = "motor-volts"
    LINE_PEAK = "line-peak"
    YEAR = "year"


@dataclass(frozen=True)
class Reason:
    """Why one reading moved.

    :param before: value in SI, rpm, or a share. :param after: likewise.
    :param contributions: contribution of each factor to the logarithm of after over before; they add up to it.
    :param factor: the one that explains it, with its ``words``; none where it stands still.
    """

    meter: Meter
    before: float
    after: float
    moves: Moves
    contributions: dict[str, float]
    factor: str | None
    words: str


@dataclass(frozen=True)
class _Solved:
    """One state of the rig with the factors of its meters; ``zero`` is where a meter's logarithm is counted from."""

    values: dict[Meter, float]
    factors: dict[Meter, dict[str, float]]
    zero: dict[Meter, float]


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
    moves = _moves(meter, was, now)
    if moves is Moves.SAME:
        return Reason(meter, was, now, moves, _parts(meter, first, second), None, say("why-reason"))
    stands = [found.values[Meter.SPEED] <= NOTHING for found in (first, second)]
    if any(stands):
        return Reason(meter, was, now, moves, {}, "standstill", STANDS if stands[1] else TURNS_AGAIN)
    room = second.zero.get(meter, 0.0) - first.zero.get(meter, 0.0)
    if abs(room) > abs(now - was - room):
        factor, contributions = "room", dict[str, float]()
    elif min(was, now) <= NOTHING:  # it begins or ends: nothing of it can be told apart
        factor, contributions = "nothing", {}
    else:
        contributions = _parts(meter, first, second)
        factor = max(contributions, key=lambda name: moves * contributions[name])
    row = find_row("mechanisms", meter=meter.value, factor=factor)
    return Reason(meter, was, now, moves, contributions, factor, row["rises" if moves is Moves.RISES else "falls"])


def _parts(meter: Meter, first: _Solved, second: _Solved) -> dict[str, float]:
    mine, theirs = first.factors.get(meter, {}), second.factors.get(meter, {})
    names = [name for name in mine if name in theirs and mine[name] > 0 and theirs[name] > 0]
    if not names and theirs:  # it is held otherwise than before: by what it is held now
        return {name: math.log(second.values[meter] / first.values[meter]) for name in theirs}
    return {name: math.log(theirs[name] / mine[name]) for name in names}


def _moves(meter: Meter, was: float, now: float) -> Moves:
    if meter is Meter.WINDING:
        change, least = now - was, READABLE_KELVIN
    elif was <= NOTHING:
        change, least = now - was, NOTHING
    else:
        change, least = now / was - 1, READABLE_SPEED if meter is Meter.SPEED else READABLE
    if abs(change) < least:
        return Moves.SAME
    return Moves.RISES if change > 0 else Moves.FALLS


def values_of(stand: Stand, controls: Controls) -> dict[Meter, float]:
    """What every meter of the rig shows when it has run for good, in SI and rpm. Errors and source as :func:`reasons`."""
    return _solve(stand, controls).values


def _solve(stand: Stand, controls: Controls) -> _Solved:
    rig, state = settled(stand, controls)
    at = solved(stand, controls, state.winding_c)
    found = _Solved({}, {}, {})
    _shaft(found, rig, at)
    _line(found, rig, at)
    _fluid(found, rig, at)
    _capacitor(found, rig, at)
    _winding(found, rig, at, state.winding_c)
    _drive(found, stand, controls)
    _sensor(found, rig, at, state.felt_pa)
    hours = controls.hours + controls.low_hours
    if hours:
        kwh = year_kwh(stand, controls)
        found.values[Meter.YEAR], found.factors[Meter.YEAR] = kwh, {"hours": hours, "mean watts": kwh / hours}
    return found


def _shaft(found: _Solved, rig: Prepared, at: OperatingPoint) -> None:
    stand, controls, motor = rig.stand, rig.controls, at.motor
    speed, torque, slip = float(motor.speed_rpm), max(float(motor.torque_nm), 0.0), float(motor.slip)
    stalled = speed <= NOTHING
    drag = float(rig.setup.load.drag_nm)
    rubbing = 1 + drag / max(torque - drag, NOTHING)
    on = BARE_SHARE if controls.bare else 1.0
    density = float(load_of(stand, controls).machine.pressure / (stand.load.machine.pressure * on))
    found.values.update({Meter.SPEED: speed, Meter.TORQUE: torque})
    if not stalled:
        wheel = torque / rubbing / on / speed**2 / density
        found.factors[Meter.TORQUE] = {
            "speed": speed**2,
            "density": density,
            "wheel": wheel,
            "rubbing": rubbing,
            "load": on,
        }
    if slip > 0:
        flux, field = float(motor.flux), speed / (1 - slip) if not stalled else 0.0
        forward = max(float(at_slip(rig.setup, slip).torque_nm), NOTHING)
        warmth = float(resistance_ratio(rig.setup.supply.rotor_c, ALUMINIUM_PER_K))
        found.values[Meter.SLIP] = slip
        found.factors[Meter.SPEED] = {"field": field, "slip": 1 - slip}
        found.factors[Meter.SLIP] = {
            "torque": torque,
            "backward": forward / max(torque, NOTHING),
            "flux": flux**-2,
            "warmth": warmth,
            "shape": slip * flux**2 / forward / warmth,
        }
    else:
        found.factors[Meter.SPEED] = {_held(rig, at): speed}


def _held(rig: Prepared, at: OperatingPoint) -> str:
    """What an electronic motor's speed follows from: what it holds, or its limit where that is short of it."""
    if Condition(int(at.condition)) is Condition.LIMIT_REACHED:
        return "limit"
    return {
        Command.TORQUE: say("why-held-torque-held"),
        Command.AIRFLOW: say("why-held-air-held"),
        Command.SPEED: say("why-held-told"),
    }[rig.controls.command]


def _line(found: _Solved, rig: Prepared, at: OperatingPoint) -> None:
    stand, running = rig.stand, rig.setup.load.running
    line, volts = at_the_line(stand, rig.controls, at.motor), line_volts(stand, rig.controls)
    shaft = float(at.motor.shaft_power_w)
    found.values.update({Meter.WATTS: line.watts, Meter.AMPS: line.amps, Meter.POWER_FACTOR: line.power_factor})
    # Watts are a sum; as a factor the losses count by what they add to the power of the shaft.
    found.factors[Meter.WATTS] = {"fans": running, "shaft": shaft, "losses": line.watts / running / max(shaft, NOTHING)}
    found.factors[Meter.AMPS] = {
        "watts": line.watts,
        "volts": 1 / volts,
        "power factor": 1 / line.power_factor,
        "worst line": line.amps * volts * line.power_factor / line.watts,
    }
    found.factors[Meter.POWER_FACTOR] = {"watts": line.watts, "volt-amperes": line.power_factor / line.watts}


def _fluid(found: _Solved, rig: Prepared, at: OperatingPoint) -> None:
    """Flow and pressure; a bare shaft has neither."""
    if rig.controls.bare:
        return
    stand, running = rig.stand, rig.setup.load.running
    speed, flow, pressure = float(at.motor.speed_rpm), float(at.load.flow), float(at.load.pressure)
    density = float(rig.setup.load.machine.pressure / stand.load.machine.pressure)
    found.values.update({Meter.FLOW: max(flow, 0.0), Meter.PRESSURE: max(pressure, 0.0)})
    if min(flow, speed) > NOTHING:
        found.factors[Meter.FLOW] = {"speed": speed, "fans": running, "system": flow / speed / running}
    if min(pressure, speed) > NOTHING:
        wheel = pressure / speed**2 / density
        found.factors[Meter.PRESSURE] = {"speed": speed**2, "density": density, "wheel": wheel}


def _sensor(found: _Solved, rig: Prepared, at: OperatingPoint, felt_pa: float) -> None:
    """What a loop's sensor shows: a share of the pressure across, or what the loop holds."""
    if rig.stand.drive is None or rig.controls.bare:
        return
    pressure = float(at.load.pressure)
    found.values[Meter.SENSOR] = felt_pa
    if rig.controls.loop:
        found.factors[Meter.SENSOR] = {"loop": max(felt_pa, NOTHING)}
    elif min(pressure, felt_pa) > NOTHING:
        found.factors[Meter.SENSOR] = {"pressure": pressure, "share": felt_pa / pressure}


def _capacitor(found: _Solved, rig: Prepared, at: OperatingPoint) -> None:
    if not rig.stand.has_capacitor:
        return
    volts, amps = float(at.motor.capacitor_voltage_v), float(at.motor.auxiliary_current_a)
    health, hertz = float(rig.setup.supply.capacitor_health), float(rig.setup.supply.frequency)
    found.values.update({Meter.CAPACITOR_VOLTS: volts, Meter.START_AMPS: amps})
    rest = volts * health * hertz / amps  # the same for all: what volts, microfarads and hertz have of amps
    found.factors[Meter.START_AMPS] = {"volts": volts / rest, "capacitor": health, "hertz": hertz}
    found.factors[Meter.CAPACITOR_VOLTS] = {"current": amps * rest, "capacitor": 1 / health, "hertz": 1 / hertz}


def _winding(found: _Solved, rig: Prepared, at: OperatingPoint, winding_c: float) -> None:
    """Temperature that the winding goes to, and its rise as losses times what the air does not carry off."""
    losses = float(at.motor.total_loss_w)
    found.values[Meter.WINDING] = winding_c
    found.zero[Meter.WINDING] = rig.ambient_c
    found.factors[Meter.WINDING] = {"losses": losses, "air": max(winding_c - rig.ambient_c, NOTHING) / losses}


def _drive(found: _Solved, stand: Stand, controls: Controls) -> None:
    if stand.drive is None:
        return
    waves = waves_of(stand, controls)
    found.values.update(
        {
            Meter.LINK: waves.link_v,
            Meter.RIPPLE: waves.ripple_a,
            Meter.MOTOR_VOLTS: waves.motor_v,
            Meter.LINE_PEAK: waves.line_peak_a,
        }
    )
    carrier, link, line = controls.carrier_hz, waves.link_v, line_volts(stand, controls)
    found.factors[Meter.LINK] = {"line": line, "sag": link / line}
    found.factors[Meter.RIPPLE] = {"pulses": 1 / carrier, "link": link, "share": waves.ripple_a * carrier / link}
    found.factors[Meter.MOTOR_VOLTS] = {
        "hertz": hertz_of(stand, controls),
        "law": waves.motor_v / hertz_of(stand, controls),
    }
    found.factors[Meter.LINE_PEAK] = {"watts": waves.power_w, "shape": waves.line_peak_a / waves.power_w}
