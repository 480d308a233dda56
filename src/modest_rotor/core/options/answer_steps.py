"""A solved step as it is told: in the machine's quantities, with its efficiencies and what it falls short by."""

from __future__ import annotations

from modest_rotor.core.estimate import Estimate
from modest_rotor.core.identify.efficiency import TypicalMotor
from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.options.answers import StepAnswer
from modest_rotor.core.options.contract import AS_FULL, Demand, SolvedStep
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.rating import Rating
from modest_rotor.core.options.step_working import step_workings
from modest_rotor.core.phrase import Figure, Phrase, figure
from modest_rotor.core.physics.fan import medium_of
from modest_rotor.core.physics.fields import RAD_S_PER_RPM
from modest_rotor.core.say import tell

COMPARED = ("flow", "speed", "shaft_power", "input_power")
SAME = 0.005
"""Share by which two values must differ to be told apart in print."""
SHORT = 0.03
"""Share of the demand by which a flow must fall short to be called short; nearer no meter tells them apart."""


def flow_quantity(found: FoundMachine) -> str:
    """The quantity in which flows of this machine are told."""
    if not found.flow_is_measured:
        return "relative_flow"
    return medium_of(found.machine_type).flow


def pressure_quantity(found: FoundMachine) -> str:
    """The quantity in which pressures of this machine are told."""
    if not found.pressure_is_measured:
        return "relative_pressure"
    return medium_of(found.machine_type).pressure


def step_answer(
    demand: Demand,
    step: SolvedStep,
    base: SolvedStep,
    found: FoundMachine,
    motor: TypicalMotor | Rating,
    workings: bool,
) -> StepAnswer:
    """One step, as yet without its name and its hours.

    :param base: the same step of what savings are held against. :param workings: whether it comes with how it came about.
    """
    flow_name, pressure_name = flow_quantity(found), pressure_quantity(found)

    def told(quantity: str, value: Estimate | None) -> Figure | None:
        return figure(quantity, value, "estimated") if value else None

    shaft, watts = step.shaft_power, step.input_power
    on_axes = found.flow_is_measured and found.pressure_is_measured
    moved = step.flow * step.pressure if step.flow and step.pressure and on_axes else None
    return StepAnswer(
        id=demand.id,
        name="",
        hours=None,
        demand=figure(flow_name, found.flow.value * demand.wanted, "typed"),
        flow=told(flow_name, step.flow),
        pressure=told(pressure_name, step.pressure),
        speed=told("speed", step.speed),
        torque=told("torque", shaft / (step.speed * RAD_S_PER_RPM) if shaft and step.speed else None),
        shaft_power=told("shaft_power", shaft),
        input_power=told("input_power", watts),
        current=told("current", step.current),
        power_factor=told("power_factor", power_factor(step, found)),
        motor_efficiency=told("efficiency", shaft / watts if shaft and watts and watts.value > 0 else None),
        whole_efficiency=told("efficiency", moved / watts if moved and watts and watts.value > 0 else None),
        setting=_setting(step),
        short=_short(step, demand, found),
        differs=tuple(part for part in COMPARED if _differs(getattr(step, part), getattr(base, part))),
        note=step.words,
        wheel_ratio=step.wheel_ratio,
        workings=step_workings(step, demand.share, found, motor, flow_name, pressure_name) if workings else None,
    )


def _differs(one: Estimate | None, other: Estimate | None) -> bool:
    """Whether two estimates differ by more than the errors that they do not share, and than print shows."""
    return one is not None and other is not None and one.differs_from(other, SAME * abs(other.value))


def power_factor(step: SolvedStep, found: FoundMachine) -> Estimate | None:
    """Watts over volts times amps at a step; nothing where one of them is not known, or where they contradict each other.

    :param step: its watts in W and amps in A. :param found: its volts in V and its phases.

    A fraction, 0 to 1. Source: definition of the true power factor.
    """
    volts = found.volts.value
    if not (step.current and step.input_power and volts) or step.current.value <= 0:
        return None
    phases = 3**0.5 if found.plate.kind is MotorKind.THREE_PHASE else 1.0
    factor = step.input_power / (step.current * (volts * phases))
    return factor if factor.value <= 1 else None


def _setting(step: SolvedStep) -> Phrase:
    if step.setting is None or not step.set_quantity:
        return (step.set_words,) if step.set_words and step.flow else ()
    told = step.setting.value
    if step.set_quantity == "command" and 1 < told <= AS_FULL:
        told = 1.0
    setting = figure(step.set_quantity, told)
    return tell("answer-steps-setting", words=step.set_words, setting=setting) if step.set_words else (setting,)


def _short(step: SolvedStep, demand: Demand, found: FoundMachine) -> Figure | None:
    if step.flow is None or demand.wanted <= 0:
        return None
    missing = 1 - step.flow.value / (found.flow.value * demand.wanted)
    return figure("ratio", missing) if missing > SHORT else None
