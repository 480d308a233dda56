"""Flow where none was measured: what shaft power and pressure leave for it."""

from __future__ import annotations

from modest_rotor.core.estimate import propagate
from modest_rotor.core.physics.fan import MachineType, medium_of
from modest_rotor.core.say import say, tell
from modest_rotor.core.stations.readings import DuctState
from modest_rotor.core.stations.set_facts import SetFacts, fitted_efficiency
from modest_rotor.core.working import Result, given, result, waiting, withheld

REMARKS = (say("flow-estimate-remarks-efficiency-machine"), say("flow-estimate-remarks-options-go"))


def flow_by_power(facts: SetFacts, machine_type: MachineType | None) -> Result:
    """Flow q = η P ÷ p from shaft power and the pressure across the machine, or what it waits for.

    :param machine_type: whose usual efficiency is taken. :returns: m³/s. Source: definition of efficiency, AMCA 210 and ISO 9906;
    the efficiency our judgement.
    """
    medium = medium_of(machine_type)
    label = say("flow-estimate-flow-by-power-power", flow_label=medium.flow_label)
    if facts.flow is not None:
        return withheld(label, tell("flow-estimate-flow-by-power-measured"))
    if machine_type is None:
        return waiting(label, tell("term-waits-for-what-the-motor"))
    if facts.reading.duct is DuctState.BARE_SHAFT:
        return withheld(label, tell("flow-estimate-flow-by-power-nothing-moved"))
    power, pressure = facts.shaft_power, facts.pressure
    if power is None or pressure is None or power.value <= 0 or pressure.value <= 0:
        return waiting(label, tell("flow-estimate-flow-by-power-waits-load"))
    if facts.one_sided:
        return waiting(label, tell("flow-estimate-flow-by-power-waits-static"))
    efficiency = fitted_efficiency(machine_type)
    (flow,) = propagate(lambda p, w, eta: w * eta / p, pressure, power, efficiency)
    ingredients = (
        given("P", say("term-shaft-power"), "shaft_power", power, "estimated", facts.title),
        given("p", say("term-pressure"), medium.pressure, pressure, "measured", facts.title),
        given("η", say("flow-estimate-flow-by-power-efficiency-such"), "efficiency", efficiency, "assumed"),
    )
    source = say("flow-estimate-flow-by-power-definition-efficiency")
    return result(label, medium.flow, flow, "q = η P ÷ p", ingredients, source, REMARKS)
