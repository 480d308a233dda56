"""The balance: the machine's curve meeting the system's, the points found and the options considered."""

from __future__ import annotations

from typing import NamedTuple

import numpy as np

from modest_rotor.core.assessment import Balance, BalanceCurve, BalancePoint, Readout
from modest_rotor.core.estimate import Array, Estimate
from modest_rotor.core.memo import Keeper
from modest_rotor.core.options.answer_steps import flow_quantity, pressure_quantity
from modest_rotor.core.options.answers import OptionAnswer
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.keep import tap_pressure
from modest_rotor.core.options.set_flow import set_flow
from modest_rotor.core.outcome import Absent, Waiting
from modest_rotor.core.phrase import Figure, figure
from modest_rotor.core.physics.fan import MachineCurve, affinity_scale, medium_of
from modest_rotor.core.physics.fields import NEVER_ZERO
from modest_rotor.core.physics.system import system_through
from modest_rotor.core.rules.case import Case
from modest_rotor.core.say import Number, say
from modest_rotor.core.stations.set_answer import SetAnswer
from modest_rotor.core.stations.set_facts import SetFacts

CURVE_POINTS, DRAWN_FIGURES = 48, 4
SAME_SYSTEM = 0.01
"""Share by which a point may lie off a system curve and still be on it."""


def draw_balance(case: Case, keep: Keeper) -> Balance:
    """Curves, points and readouts of a case; where they cannot be drawn, what each waits for."""
    machine, options, after = case.machine, case.options.options, case.all_answered[len(case.sets) :]
    medium = medium_of(case.machine_type)
    quantities = medium.flow, medium.pressure
    curves: tuple[BalanceCurve, ...] = ()
    points: tuple[BalancePoint, ...] = ()
    flows: dict[str, Estimate | None] = {}
    if machine:
        quantities = flow_quantity(machine), pressure_quantity(machine)
        curves = keep(_curves, machine, _first_point(options), _speeds(machine, options))
        of_sets = [(facts, *keep(_set_point, machine, facts)) for facts in case.sets]
        flows = {facts.id: flow for facts, flow, _ in of_sets}
        points = (*_set_points(machine, of_sets), *_after_points(machine, case), *_option_points(options))
    return Balance(
        flow_quantity=quantities[0],
        pressure_quantity=quantities[1],
        curves=curves,
        points=points,
        readouts=tuple(_set_readout(machine, flows.get(facts.id), facts, answer) for facts, answer in case.answered)
        + tuple(_set_readout(None, None, facts, answer, _series_after(case)) for facts, answer in after),
        waits=_waits(case),
    )


def _first_point(options: tuple[OptionAnswer, ...]) -> tuple[float, float] | None:
    """Flow and pressure of the baseline at its first step, where both are known."""
    first = options[0].steps[0] if options and options[0].steps else None
    return (first.flow.value, first.pressure.value) if first and first.flow and first.pressure else None


def _speeds(machine: FoundMachine, options: tuple[OptionAnswer, ...]) -> tuple[_AtSpeed, ...]:
    """Every speed at which the machine's own curve is drawn; a wheel of its own has another curve, of which only the point is."""
    return tuple(
        _AtSpeed(
            f"{option.letter}-{step.id}",
            f"{option.letter}, {step.name or say('term-step')}",
            option.series,
            step.speed.value / machine.speed.value * (1.0 if step.wheel_ratio is None else step.wheel_ratio),
        )
        for option in options
        for step in option.steps
        if step.speed is not None and step.wheel_ratio != 0
    )


class _AtSpeed(NamedTuple):
    """The machine's curve at a speed over that of the point found."""

    name: str
    label: str
    series: str
    ratio: float


def _curves(
    machine: FoundMachine, first_point: tuple[float, float] | None, speeds: tuple[_AtSpeed, ...]
) -> tuple[BalanceCurve, ...]:
    """The machine's curve at every speed considered, and the system's, as found and put right."""
    curve = MachineCurve(
        machine.shape,
        *(
            np.array(estimate.value)
            for estimate in (machine.flow, machine.pressure, machine.shaft_power, machine.place)
        ),
    )
    system = machine.system
    flow = np.linspace(0.0, curve.largest_flow(), CURVE_POINTS)
    wanted = system.pressure_at(flow)
    shown = wanted <= 1.6 * float(curve.pressure)
    machine_at = _MachineCurves(curve)
    drawn = [
        machine_at("found", say("balance-curves-found-rpm", speed=Number(machine.speed.value, ",.0f")), "copper", 1.0),
        BalanceCurve(
            id="system",
            label=say("term-system"),
            kind="system",
            series="ink",
            flow=_drawn(flow[shown]),
            pressure=_drawn(wanted[shown]),
        ),
    ]
    drawn += _repaired_system(machine, first_point)
    return (*drawn, *(machine_at(*one) for one in speeds))


def _repaired_system(machine: FoundMachine, first_point: tuple[float, float] | None) -> list[BalanceCurve]:
    """The system through the baseline's first point, where a repair has changed it."""
    if first_point is None:
        return []
    first_flow, first_pressure = first_point
    if abs(first_pressure / float(machine.system.pressure_at(first_flow)) - 1) < SAME_SYSTEM:
        return []
    system = system_through(first_flow, first_pressure, machine.fixed_pressure.value, machine.exponent.value)
    flow = np.linspace(0.0, 1.4 * first_flow, CURVE_POINTS)
    return [
        BalanceCurve(
            id="system-right",
            label=say("balance-system-put-right"),
            kind="system",
            series="ink",
            flow=_drawn(flow),
            pressure=_drawn(np.asarray(system.pressure_at(flow))),
        )
    ]


class _MachineCurves:
    """One machine's curve, drawn at any speed: its points move by the affinity laws."""

    def __init__(self, curve: MachineCurve) -> None:
        # A hair inside free delivery, where rounding could step off the table.
        self.flow = np.linspace(0.0, curve.largest_flow() * (1 - 1e-9), CURVE_POINTS)
        self.pressure = curve.pressure_at(self.flow, np.array(1.0))

    def __call__(self, name: str, label: str, series: str, ratio: float) -> BalanceCurve:
        """The curve at a speed over that of its known point."""
        flow_scale, pressure_scale, _ = affinity_scale(ratio)
        return BalanceCurve(
            id=name,
            label=label,
            kind="machine",
            series=series,
            flow=_drawn(self.flow * flow_scale),
            pressure=_drawn(self.pressure * pressure_scale),
        )


def _drawn(values: Array) -> tuple[float, ...]:
    """Numbers no finer than a picture shows them: to four figures."""
    size = np.floor(np.log10(np.maximum(np.abs(values), NEVER_ZERO)))
    # Powers of ten from one upward are exact, so that each number is the nearest to its four figures.
    up, down = 10.0 ** np.maximum(DRAWN_FIGURES - 1 - size, 0), 10.0 ** np.maximum(size - DRAWN_FIGURES + 1, 0)
    return tuple((np.round(values * up / down) * down / up).tolist())


def _set_points(
    machine: FoundMachine, of_sets: list[tuple[SetFacts, Estimate | None, Estimate | None]]
) -> tuple[BalancePoint, ...]:
    points = []
    for facts, flow, pressure in of_sets:
        if flow is None or pressure is None:
            continue
        points.append(
            BalancePoint(
                id=facts.id,
                label=f"{facts.number} {facts.name}".strip(),
                series="copper",
                group="sets",
                flow=figure(flow_quantity(machine), flow, facts.flow_basis if facts.flow else "estimated"),
                pressure=figure(pressure_quantity(machine), pressure, "measured" if facts.pressure else "estimated"),
            )
        )
    return tuple(points)


def _after_points(machine: FoundMachine, case: Case) -> tuple[BalancePoint, ...]:
    """Sets of the machine set up anew, where flow and pressure were both read: nothing of the old motor tells them."""
    if not (machine.flow_is_measured and machine.pressure_is_measured):
        return ()
    series = _series_after(case)
    return tuple(
        BalancePoint(
            id=facts.id,
            label=f"{facts.number} {facts.name}".strip(),
            series=series,
            group="sets",
            flow=figure(flow_quantity(machine), facts.flow, "measured"),
            pressure=figure(pressure_quantity(machine), facts.pressure, "measured"),
        )
        for facts in case.after
        if facts.flow and facts.pressure
    )


def _series_after(case: Case) -> str:
    """How the option that was fitted is drawn."""
    chosen = case.job.document.decision.chosen
    return next((one.series for one in case.options.options if one.id == chosen), "copper")


def _set_point(machine: FoundMachine, facts: SetFacts) -> tuple[Estimate | None, Estimate | None]:
    if machine.reference and facts.id == machine.reference.id:
        return machine.flow, machine.pressure
    flow = facts.flow if machine.flow_is_measured else None
    if flow is None:
        flow = set_flow(machine, facts)
    pressure = tap_pressure(machine, facts, flow) if flow else None
    return flow, pressure


def _option_points(options: tuple[OptionAnswer, ...]) -> tuple[BalancePoint, ...]:
    return tuple(
        BalancePoint(
            id=f"{option.letter}-{step.id}",
            label=option.letter,
            series=option.series,
            group=step.id,
            flow=step.flow,
            pressure=step.pressure,
        )
        for option in options
        for step in option.steps
        if step.flow and step.pressure
    )


def _set_readout(
    machine: FoundMachine | None, flow: Estimate | None, facts: SetFacts, answer: SetAnswer, series: str = "copper"
) -> Readout:
    running = facts.running

    def read(quantity: str, value: Estimate | None) -> Figure | None:
        return figure(quantity, value, "measured") if value else None

    return Readout(
        id=facts.id,
        label=f"{facts.number} {facts.name}".strip(),
        series=series,
        group="sets",
        flow=answer.flow or (figure(flow_quantity(machine), flow, "estimated") if machine and flow else None),
        speed=read("speed", running.speed),
        slip=answer.slip.figure,
        shaft_power=answer.shaft_power.figure,
        input_power=read("input_power", running.input_power),
        current=read("current", running.current),
    )


def _waits(case: Case) -> tuple[str, ...]:
    if isinstance(case.found, Absent):
        why = case.found.why
        words = [say("balance-waits-machine-s", why=why) if isinstance(case.found, Waiting) else why]
        words.append(say("balance-waits-system-s"))
        return tuple(words)
    words = []
    if not case.found.flow_is_measured:
        words.append(say("balance-waits-flow-relative"))
    if not case.found.pressure_is_measured:
        words.append(say("balance-waits-pressure-relative"))
    return tuple(words)
