"""Flow where none was measured: what shaft power and pressure leave for it."""

from __future__ import annotations

from modest_rotor.core.estimate import propagate
from modest_rotor.core.physics.fan import Wheel, medium_of
from modest_rotor.core.stations.readings import DuctState
from modest_rotor.core.stations.set_facts import SetFacts, fitted_efficiency
from modest_rotor.core.working import Result, given, result, waiting, withheld

REMARKS = (
    "The efficiency is that of a machine as it is usually fitted, so the uncertainty is large: it tells a fan that moves half of what"
    " it should, not one that moves nine tenths.",
    "Options go on asking for a measured flow: money waits for it.",
)


def flow_by_power(facts: SetFacts, wheel: Wheel | None) -> Result:
    """Flow q = η P ÷ p from shaft power and the pressure across the machine, or what it waits for.

    :param wheel: whose usual efficiency is taken. :returns: m³/s. Source: definition of efficiency, AMCA 210 and ISO 9906;
    the efficiency our judgement.
    """
    medium = medium_of(wheel)
    label = f"{medium.flow_label} by power"
    if facts.flow is not None:
        return withheld(label, "measured")
    if wheel is None:
        return waiting(label, "waits for what the motor drives")
    if facts.reading.duct is DuctState.BARE_SHAFT:
        return withheld(label, "nothing is moved: no wheel or belt was on the shaft")
    power, pressure = facts.shaft_power, facts.pressure
    if power is None or pressure is None or power.value <= 0 or pressure.value <= 0:
        return waiting(label, "waits for a load and the pressure across it")
    if facts.one_sided:
        return waiting(label, "waits for the static on the other side")
    efficiency = fitted_efficiency(wheel)
    (flow,) = propagate(lambda p, w, eta: w * eta / p, pressure, power, efficiency)
    ingredients = (
        given("P", "shaft power", "shaft_power", power, "estimated", facts.title),
        given("p", "pressure", medium.pressure, pressure, "measured", facts.title),
        given("η", "efficiency of such a machine", "efficiency", efficiency, "assumed"),
    )
    source = "Definition of efficiency, AMCA 210 and ISO 9906; the efficiency our judgement, no source."
    return result(label, medium.flow, flow, "q = η P ÷ p", ingredients, source, REMARKS)
