"""An external-rotor fan that replaces motor and wheel together, and a wet-rotor circulator that replaces a pump."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import replace

import numpy as np

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import Array, Estimate, measured
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
    absent_steps,
    curve_and_system,
    solve_steps,
)
from modest_rotor.core.options.electronic import electronic_columns, noted
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.rating import Rating, electronic_rating
from modest_rotor.core.options.traits import ELECTRONICS_WEAR, Belongs, Brings, Holds, SetBy, Traits, of_type
from modest_rotor.core.outcome import Absent, Waiting, Withheld
from modest_rotor.core.physics.fan import MachineCurve, MachineType, generic_shape, machine_from_table
from modest_rotor.core.physics.load import Load, speed_ratio_for_flow
from modest_rotor.core.physics.system import SystemCurve
from modest_rotor.core.say import say
from modest_rotor.core.stations.product import CommandKind, Product, ProductType

OWN_PLACE = measured(0.95, **{"place of the new fan on its curve": 0.12})
"""Where a fan that was chosen for this duty lies on its curve, as flow relative to best efficiency. Our judgement, no source."""
OWN_EFFICIENCY_SHARE = 0.10
"""Standard deviation of a chosen machine's efficiency as a share of the generic best. Our judgement, no source."""
NOMINAL_SPEED = 1.0
WAITS_AXES = Waiting(say("own-wheel-waits-axes"))
NO_SPEED = say("own-wheel-no-speed")
Aim = Callable[[Array, Array, Array], Array]
"""From flow at a step, flow and pressure at full flow: the pressure that the machine is to make there, Pa."""


class _OwnWheel(Option):
    """What the machines with wheels of their own share."""

    traits: Traits


class ExternalRotorFan(_OwnWheel):
    """An electronic fan, backward-inclined unless its product says otherwise, in place of motor and wheel."""

    kind = OptionKind.EC_FAN
    traits = Traits(
        say("own-wheel-external-rotor-fan-traits"), "verdigris", electronics=True, commanded=True, electronic=True, belongs=Belongs.FANS,
        brings=Brings.MACHINE, suits=of_type(ProductType.FAN), understands=(CommandKind.SIGNAL, CommandKind.DIAL),
        set_by=SetBy.SIGNAL, holds=Holds.OWN_WHEEL, wears=ELECTRONICS_WEAR,
    )  # fmt: skip

    def solve(self, found: FoundMachine, demands: tuple[Demand, ...], asked: Asked) -> tuple[SolvedStep, ...]:
        """The speed of its own wheel that gives each step its flow in the system of today."""
        if found.machine_type is MachineType.PUMP:
            return absent_steps(demands, Withheld(say("own-wheel-solve-fan-does")))
        return _solve(found, demands, asked, None, How.OWN_WHEEL)


class CirculatorSpeed(_OwnWheel):
    """A wet-rotor circulator at one speed: valves throttle it as they do today."""

    kind = OptionKind.CIRCULATOR_SPEED
    traits = Traits(
        say("own-wheel-circulator-speed-traits"), "verdigris", electronics=True, commanded=True, electronic=True, line_switched=True,
        belongs=Belongs.PUMPS, brings=Brings.MACHINE, suits=of_type(ProductType.PUMP), set_by=SetBy.SIGNAL, wears=ELECTRONICS_WEAR,
        asks=("set_pressure",),
    )  # fmt: skip

    def solve(self, found: FoundMachine, demands: tuple[Demand, ...], asked: Asked) -> tuple[SolvedStep, ...]:
        """At every flow the head that its curve has at the one speed."""
        if found.machine_type is not MachineType.PUMP:
            return absent_steps(demands, Withheld(say("own-wheel-solve-circulator-does")))
        return _solve(found, demands, asked, _along_curve, How.FIXED_SPEED)


class CirculatorConstant(_OwnWheel):
    """A wet-rotor circulator that holds one pressure whatever the flow."""

    kind = OptionKind.CIRCULATOR_CONSTANT
    traits = replace(
        CirculatorSpeed.traits, title=say("own-wheel-constant-title"), series="verdigris-open", set_by=SetBy.ITSELF
    )

    def solve(self, found: FoundMachine, demands: tuple[Demand, ...], asked: Asked) -> tuple[SolvedStep, ...]:
        """The set pressure at every flow."""
        if found.machine_type is not MachineType.PUMP:
            return absent_steps(demands, Withheld(say("own-wheel-solve-circulator-does")))
        return _solve(found, demands, asked, lambda flow, full, set_: set_ + 0 * flow, How.HELD_PRESSURE)


class CirculatorProportional(_OwnWheel):
    """A wet-rotor circulator whose pressure falls with flow, to half of what is set at none."""

    kind = OptionKind.CIRCULATOR_PROPORTIONAL
    traits = replace(CirculatorConstant.traits, title=say("own-wheel-proportional-title"))

    def solve(self, found: FoundMachine, demands: tuple[Demand, ...], asked: Asked) -> tuple[SolvedStep, ...]:
        """H = H_set (1 + q ÷ q_full) ÷ 2, the common law of such pumps."""
        if found.machine_type is not MachineType.PUMP:
            return absent_steps(demands, Withheld(say("own-wheel-solve-circulator-does")))
        return _solve(found, demands, asked, lambda flow, full, set_: set_ * (1 + flow / full) / 2, How.HELD_PRESSURE)


def _along_curve(flow: Array, full: Array, set_: Array) -> Array:
    """Nothing to aim at: the one speed decides."""
    return np.full(np.broadcast_shapes(flow.shape, full.shape), np.nan)


def _solve(
    found: FoundMachine, demands: tuple[Demand, ...], asked: Asked, aim: Aim | None, how: How
) -> tuple[SolvedStep, ...]:
    if not (found.flow_is_measured and found.pressure_is_measured):
        return absent_steps(demands, WAITS_AXES)
    machine = _machine(found, asked)
    if isinstance(machine, Absent):
        return absent_steps(demands, machine)
    curve_of, speed, inputs = machine
    rating = replace(electronic_rating(found, asked.candidate), speed_rpm=speed)
    shares = np.array([demand.wanted for demand in demands])
    set_pressure = asked.candidate.set_pressure
    fixed_speed = how is How.FIXED_SPEED

    def work(*columns: Array) -> Columns:
        curve, losses, own = columns[:CURVE], columns[CURVE : CURVE + 3], columns[CURVE + 3 :]
        _, system = curve_and_system(found, *curve)
        wheel = curve_of(curve[0], curve[1], *own)
        part = curve[0] * shares
        full_pressure = set_pressure.si + 0 * curve[1] if set_pressure else curve[1]
        if fixed_speed:
            at_full = SystemCurve(full_pressure, 0.0)
            ratio = speed_ratio_for_flow(wheel, at_full, curve[0]) + 0 * part
            pressure = wheel.pressure_at(part, ratio)
        else:
            pressure = aim(part, curve[0], full_pressure) if aim else system.pressure_at(part)
            ratio = _ratio(wheel, part, pressure)
        shaft = wheel.power_at(part, ratio)
        return electronic_columns(rating, part, pressure, speed * ratio, shaft, *losses)

    every = (*found.curve_inputs, *rating.loss_inputs, *inputs)
    quantity = "command" if aim is None or fixed_speed else ""
    saying = Saying(how, NO_SPEED, quantity, "speed" if quantity else say("own-wheel-solve-set-pressure"))
    solved = solve_steps(tuple(demand.id for demand in demands), work, every, saying)
    return tuple(
        replace(noted(solved[demand.id], demand, _grown(rating, asked)), wheel_ratio=0.0) for demand in demands
    )


def _grown(rating: Rating, asked: Asked) -> Rating:
    """Without a product the new machine is sized for its duty, so that only a product's rating can be too small."""
    return rating if asked.candidate.product else replace(rating, power_w=float("inf"), top_share=float("inf"))


def _ratio(wheel: MachineCurve, flow: Array, pressure: Array) -> Array:
    """Speed over that of the curve's known point at which a machine gives a flow at a pressure."""
    ratio, found = Load(wheel, NOMINAL_SPEED, SystemCurve(pressure, 0.0)).at_flow(flow)
    return np.where(found, ratio, np.nan)


def _machine(
    found: FoundMachine, asked: Asked
) -> tuple[Callable[..., MachineCurve], float, tuple[Estimate, ...]] | Absent:
    """The new machine's curve from flow and pressure of today, its speed, and what else it depends on."""
    product = asked.candidate.product
    if product is not None and product.curve:
        table = _table(found, product)
        if isinstance(table, Absent):
            return table
        speed = product.curve_speed or product.rated_speed
        if speed is None:
            return Waiting(say("own-wheel-machine", product=product.name))
        return (lambda *_: table), speed.si, ()
    machine_type = MachineType.PUMP if found.machine_type is MachineType.PUMP else MachineType.BACKWARD_INCLINED
    shape = generic_shape(machine_type)
    efficiency = measured(
        shape.best_efficiency, **{"efficiency of the new wheel": OWN_EFFICIENCY_SHARE * shape.best_efficiency}
    )
    place = found.place if machine_type is MachineType.PUMP else OWN_PLACE
    speed_rpm = (product.rated_speed.si if product and product.rated_speed else None) or found.speed.value

    def curve_of(flow: Array, pressure: Array, best: Array, at: Array) -> MachineCurve:
        here = best * at * shape.pressure(at) / shape.power(at)
        return MachineCurve(shape, flow, pressure, flow * pressure / here, at)

    return curve_of, speed_rpm, (efficiency, place)


def _table(found: FoundMachine, product: Product) -> MachineCurve | Absent:
    pump = found.machine_type is MachineType.PUMP
    flows = [point.water_flow if pump else point.airflow for point in product.curve]
    pressures = [point.head if pump else point.pressure for point in product.curve]
    powers = [point.shaft_power for point in product.curve]
    if not all((*flows, *pressures, *powers)):
        return Waiting(say("own-wheel-table", product=product.name))
    columns = (np.array([entry.si for entry in column if entry]) for column in (flows, pressures, powers))
    try:
        return machine_from_table(MachineType.PUMP if pump else MachineType.BACKWARD_INCLINED, *columns)
    except OutsideValidity as refusal:
        return Withheld(f"{product.name}: {refusal.sentence}")
