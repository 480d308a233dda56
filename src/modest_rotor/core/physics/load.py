"""What a motor has to turn: a fan or pump in its system, alone or beside others, straight on the shaft or over a belt."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from functools import cached_property
from typing import Any

import numpy as np

from modest_rotor.core.estimate import Array
from modest_rotor.core.physics.fan import MachineCurve, affinity_scale
from modest_rotor.core.physics.fields import HAIR, NEVER_ZERO, RAD_S_PER_RPM, Real, choose
from modest_rotor.core.physics.roots import crossing
from modest_rotor.core.physics.system import TURBULENT, SystemCurve

PLACES = 25
"""Places along a curve at which a crossing is looked for; the dip of a generic shape spans several."""
PLACE_ROUNDS, PLACE_HALVINGS = 6, 8
"""Rounds of the root finder from a twenty-fourth of the curve, and halvings before it over the whole curve."""
FEW = 4000
"""Points up to which all rungs are looked at in one go; beyond, memory counts for more than calls."""
ROOT = 1 / 2


@dataclass(frozen=True)
class Belt:
    """A belt between motor and machine.

    :param ratio: machine's speed over the motor's without slip: motor sheave's pitch diameter over the machine's.
    :param slip: share of speed lost; 0.01 to 0.02 when tight. Common practice.
    :param loss_share: share of the motor's power lost by bending and rubbing; 0.03 to 0.07 for V-belts. Common practice.
    """

    ratio: Real = 1.0
    slip: Real = 0.0
    loss_share: Real = 0.0

    def machine_speed(self, motor_rpm: Real) -> Real:
        """Speed of the machine, rpm. Source: definition of the ratio and of belt slip."""
        return motor_rpm * self.ratio * (1 - self.slip)

    def motor_speed(self, machine_rpm: Real) -> Real:
        """Speed of the motor, rpm. Source: the same."""
        return machine_rpm / (self.ratio * (1 - self.slip))

    def motor_power(self, machine_power_w: Real) -> Real:
        """Power at the motor's shaft, W: slip loses speed at one torque, the rest loses torque. Source: the same."""
        return machine_power_w / ((1 - self.loss_share) * (1 - self.slip))


@dataclass(frozen=True)
class LoadPoint:
    """A machine in its system at one speed.

    :param flow: of all machines together into the system, m³/s (or relative).
    :param pressure: Pa (or relative).
    :param machine_rpm: speed of the machine.
    :param machine_power_w: at the shaft of one machine.
    :param motor_power_w: at the shaft of its motor, belt loss and drag included.
    :param torque_nm: the same as torque.
    :param place: relative flow on the machine's shape.
    :param dead_headed: whether nothing flows.
    :param beyond: whether the system would take a flow that the curve does not have; the point is then the curve's end.
    :param in_stall: whether pressure rises with flow there.
    """

    flow: Real
    pressure: Real
    machine_rpm: Real
    machine_power_w: Real
    motor_power_w: Real
    torque_nm: Real
    place: Real
    dead_headed: Real
    beyond: Real
    in_stall: Real

    @property
    def fluid_power_w(self) -> Real:
        """Power that all machines together give to the air or water, q p, W."""
        return self.flow * self.pressure


@dataclass(frozen=True)
class Load:
    """A machine, or several alike side by side, in a system.

    :param machine: the curve of one machine.
    :param speed_rpm: the machine's speed at the curve's known point.
    :param system: what the machines together work against.
    :param belt: between motor and machine.
    :param drag_nm: torque that rubbing parts add at the motor's shaft, N·m.
    :param running: number of machines running side by side, each with a motor of its own.
    :param idle_leak: flow that runs back through idle machines at 1 Pa, m³/s; it grows with the root of pressure.
    """

    machine: MachineCurve
    speed_rpm: Real
    system: SystemCurve
    belt: Belt = Belt()
    drag_nm: Real = 0.0
    running: int = 1
    idle_leak: Real = 0.0

    def at_motor_speed(self, motor_rpm: Real, rounds: int = PLACE_ROUNDS) -> LoadPoint:
        """The machine and its system at a speed of the motor, rpm, above zero.

        :param rounds: of the search for the place on the curve; one gives it to a thousandth, enough to find a bracket.

        Validity: corresponding points move by the affinity laws; steady flow. Source: AMCA Publication 201 for fan and
        system, and for fans in parallel.
        """
        machine_rpm = self.belt.machine_speed(motor_rpm)
        ratio = machine_rpm / self.speed_rpm
        return self._point(motor_rpm, machine_rpm, ratio, self._place_at(ratio, rounds))

    def torque_at(self, motor_rpm: Real, rounds: int = PLACE_ROUNDS) -> Real:
        """Torque at the motor's shaft alone, N·m, for a search that asks for nothing else; as :meth:`at_motor_speed`."""
        ratio = self.belt.machine_speed(motor_rpm) / self.speed_rpm
        return self._torque(self._power(ratio, self._place_at(ratio, rounds)), motor_rpm)

    def _place_at(self, ratio: Real, rounds: int) -> Real:
        if not self._goes_with_flow_alone:
            return self._place(ratio, rounds)
        return self._free_place if self.system.is_turbulent else self._near_free_place(ratio)

    def _power(self, ratio: Real, place: Real) -> Real:
        _, _, power_scale = affinity_scale(ratio)
        return self.machine.power_unit * power_scale * self.machine.relative_power(place)

    def _torque(self, machine_power_w: Real, motor_rpm: Real) -> Real:
        return self.belt.motor_power(machine_power_w) / (motor_rpm * RAD_S_PER_RPM) + self.drag_nm

    def at_flow(self, flow: Real) -> tuple[Real, Real]:
        """Motor speed at which the machines give ``flow`` into the system, rpm, and whether any does.

        Where none does the speed is that of the curve's nearest end. Source: as :meth:`at_motor_speed`, solved for the place
        x at which ψ(x)/x² has the value that flow and pressure ask for.
        """
        machine, shape = self.machine, self.machine.shape
        pressure = self.system.pressure_at(flow)
        through_one = (flow + self.idle_leak * abs(pressure) ** ROOT) / self.running
        wanted = pressure * (machine.flow_unit / through_one) ** 2 / machine.pressure_unit
        first, last = max(shape.first_flow, 1 / PLACES**2), shape.last_flow * (1 - HAIR)

        def surplus(place: Real) -> Real:
            return machine.relative_pressure(place) / (place * place) - wanted

        # ψ(x)/x² falls all along a curve, steeply at first, so the root is sought from its logarithm's middle outward.
        found = (surplus(first) >= 0) & (surplus(last) <= 0)
        low, high = first + 0 * wanted, last + 0 * wanted
        for _ in range(PLACE_HALVINGS):
            middle = (low * high) ** ROOT
            over = surplus(middle) > 0
            low, high = choose(over, middle, low), choose(over, high, middle)
        place = crossing(surplus, low, high, PLACE_ROUNDS)
        ratio = through_one / (machine.flow_unit * place)
        return self.belt.motor_speed(ratio * self.speed_rpm), found

    @cached_property
    def _goes_with_flow_alone(self) -> bool:
        """Whether nothing of the pressure stays at no flow: then the place on the curve hardly depends on speed."""
        return not np.any(self.system.fixed_pressure) and not np.any(self.idle_leak)

    @cached_property
    def _leaks(self) -> bool:
        return bool(np.any(self.idle_leak))

    @cached_property
    def _free_place(self) -> Real:
        """The place on the curve at the known speed; where the whole pressure goes as flow squared it is that at any."""
        return self._place(1.0, PLACE_ROUNDS)

    def _near_free_place(self, ratio: Real) -> Real:
        """The place at a speed on a system whose exponent n is not 2: ln ψ − n ln x = the same at the known speed + (n − 2) ln r.

        Two of Newton's steps from the place at the known speed, the first with the slope there; they leave less than a
        thousandth down to a tenth of the speed.
        """
        base, steep, at_end = self._known_place
        start, last, shift = self._free_place, self.machine.shape.last_flow * (1 - HAIR), self._strange_shift(ratio)
        place = np.clip(start * np.exp(np.clip(shift / steep, -1.0, 1.0)), NEVER_ZERO, last)
        off, steep = self._level(place)
        place = place * np.exp(np.clip((off - base - shift) / np.maximum(-steep, ROOT), -1.0, 1.0))
        return choose(at_end, start, np.minimum(place, last))

    def _strange_shift(self, ratio: Real) -> Real:
        return (self.system.exponent - TURBULENT) * np.log(np.maximum(ratio, NEVER_ZERO))

    @cached_property
    def _known_place(self) -> tuple[Real, Real, Any]:
        """At the known speed's place: ln ψ − n ln x, its slope over ln x kept away from nought, and whether it is a curve's end."""
        shape, start = self.machine.shape, self._free_place
        base, steep = self._level(np.maximum(start, NEVER_ZERO))
        at_end = (start >= shape.last_flow * (1 - HAIR)) | (start <= shape.first_flow)
        return base, np.minimum(steep, -ROOT), at_end

    def _level(self, place: Real) -> tuple[Real, Real]:
        """Ln ψ − n ln x at a place, and its slope over ln x."""
        machine, n = self.machine, self.system.exponent
        bare, slope = machine.shape.pressure.with_slope(place)
        psi = np.maximum(bare * machine.strayed(machine.pressure_strays, place), NEVER_ZERO)
        steep = place * (slope / np.where(bare > 0, bare, 1.0) - machine.pressure_strays / machine.place) - n
        return np.log(psi) - n * np.log(place), steep

    def _surplus(self, place: Real, psi: Real, ratio: Real) -> Real:
        """Pressure that the machine makes at a place less what the system asks for at its flow."""
        machine = self.machine
        flow_scale, pressure_scale, _ = affinity_scale(ratio)
        pressure = machine.pressure_unit * pressure_scale * psi
        return pressure - self.system.pressure_at(self._flow(place, flow_scale, pressure))

    def _flow(self, place: Real, flow_scale: Real, pressure: Real) -> Real:
        through = self.running * self.machine.flow_unit * flow_scale * place
        if not self._leaks:
            return through
        net = through - self.idle_leak * abs(pressure) ** ROOT
        return choose(net > 0, net, 0 * net)

    def _place(self, ratio: Real, rounds: int) -> Real:
        """The last place along the curve where machine and system meet: there a fan with a dip runs."""
        machine, shape, (places, psi) = self.machine, self.machine.shape, self._ladder
        surplus = self._surplus_at(ratio)

        def strayed(place: Real, psi: Real) -> Real:
            return surplus(place, psi * machine.strayed(machine.pressure_strays, place))

        rung = self._last_rung_above(strayed)
        inside = (rung >= 0) & (rung < PLACES - 1)
        low = choose(inside, rung, 0)
        high = low + 1
        start, end = _at(places, low), _at(places, high)
        ends = strayed(start, _at(psi, low)), strayed(end, _at(psi, high))
        met = crossing(lambda x: surplus(x, machine.relative_pressure(x)), start, end, rounds, ends)
        return choose(inside, met, choose(rung < 0, shape.first_flow, shape.last_flow * (1 - HAIR)))

    def _surplus_at(self, ratio: Real) -> Callable[[Real, Real], Real]:
        """Pressure that the machine makes at a place, with ψ there, less what the system asks for at its flow.

        Divided by speed squared, only the fixed part, and a growing part whose exponent is not 2, are left to depend on it.
        """
        if self._leaks:
            return lambda place, psi: self._surplus(place, psi, ratio)
        machine, system = self.machine, self.system
        n = system.exponent
        growing = system.coefficient * (self.running * machine.flow_unit) ** n
        fixed = system.fixed_pressure / (ratio * ratio)
        if system.is_turbulent:
            return lambda place, psi: machine.pressure_unit * psi - growing * (place * place) - fixed
        growing = growing * ratio ** (n - TURBULENT)
        return lambda place, psi: machine.pressure_unit * psi - growing * np.maximum(place, 0.0) ** n - fixed

    def _last_rung_above(self, surplus: Callable[[Real, Real], Real]) -> Real:
        """The last rung of the ladder at which the machine makes more pressure than the system asks for; −1 where none does."""
        (places, psi), rungs = self._ladder, self._rungs
        first = surplus(*rungs[0])
        if isinstance(first, float):  # one point: from the far end, near which machines run
            return next((index for index in reversed(range(PLACES)) if surplus(*rungs[index]) > 0), -1)
        if first.size <= FEW:
            column = (slice(None), *(np.newaxis,) * first.ndim)
            above = surplus(places[column], psi[column]) > 0
            return np.where(above.any(axis=0), PLACES - 1 - np.argmax(above[::-1], axis=0), -1)
        rung: Real = np.where(first > 0, 0, -1)
        for index, (place, here) in enumerate(rungs[1:], 1):
            rung = np.where(surplus(place, here) > 0, index, rung)
        return rung

    @cached_property
    def _rungs(self) -> list[tuple[float, float]]:
        """The same as plain numbers."""
        return list(zip(*(column.tolist() for column in self._ladder), strict=True))

    @cached_property
    def _ladder(self) -> tuple[Array, Array]:
        """Places along the curve, and ψ there."""
        shape = self.machine.shape
        places = np.linspace(shape.first_flow, shape.last_flow * (1 - HAIR), PLACES)
        return places, np.asarray(shape.pressure(places), float)

    def _point(self, motor_rpm: Real, machine_rpm: Real, ratio: Real, place: Real) -> LoadPoint:
        machine, shape = self.machine, self.machine.shape
        flow_scale, pressure_scale, _ = affinity_scale(ratio)
        pressure = machine.pressure_unit * pressure_scale * machine.relative_pressure(place)
        power = self._power(ratio, place)
        flow = self._flow(place, flow_scale, pressure)
        torque = self._torque(power, motor_rpm)
        return LoadPoint(
            flow=flow,
            pressure=pressure,
            machine_rpm=machine_rpm,
            machine_power_w=power,
            motor_power_w=torque * motor_rpm * RAD_S_PER_RPM,
            torque_nm=torque,
            place=place,
            dead_headed=(flow <= 0) | ((place <= shape.first_flow) & (shape.first_flow == 0)),
            beyond=(place >= shape.last_flow * (1 - 2 * HAIR)) | ((place <= shape.first_flow) & (shape.first_flow > 0)),
            in_stall=shape.pressure.slope_at(place) > 0,
        )


def _at(rungs: Array, index: Any) -> Real:
    """Rungs by their numbers; one rung as a plain number, which Python reckons quickest."""
    return float(rungs[index]) if isinstance(index, int) else rungs[index]


def flow_at_speed(machine: MachineCurve, system: SystemCurve, speed_ratio: Real) -> Real:
    """Flow at which a machine, at a speed relative to its known point, meets the system; zero when dead-headed.

    On a curve with a dip the crossing at the highest flow is given. Source: as :meth:`Load.at_motor_speed`.
    """
    point = Load(machine, 1.0, system).at_motor_speed(speed_ratio)
    return np.where(point.dead_headed, 0.0, point.flow)


def speed_ratio_for_flow(machine: MachineCurve, system: SystemCurve, flow: Real) -> Real:
    """Speed, relative to the known point, at which the machine gives ``flow`` into ``system``; NaN where no speed does.

    Source: as :meth:`Load.at_flow`.
    """
    ratio, found = Load(machine, 1.0, system).at_flow(flow)
    return np.where(found, ratio, np.nan)
