"""Flow of a set of readings in which none was measured, from the set in which one was."""

from __future__ import annotations

import math

from modest_rotor.core.estimate import COVERAGE_95, Estimate
from modest_rotor.core.identify.flow import locate
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.keep import at_speed
from modest_rotor.core.physics.fan import MachineCurve
from modest_rotor.core.stations.set_facts import SetFacts

SAME_SYSTEM = 0.06
"""Share by which pressure may stray from speed squared on one and the same system. Our judgement, no source."""


def set_flow(machine: FoundMachine, facts: SetFacts) -> Estimate | None:
    """Flow of a set at its own speed, m³/s or relative; nothing where speed, or all that would tell it, is missing.

    On the same system, which shows as a pressure that went with speed squared, flow goes with speed: affinity laws, AMCA
    201. On another one (a filter out, a damper moved) it is sought along the machine's curve, where shaft power and pressure
    agree best; with a generic curve the uncertainty is large. Source: these laws; the search our own.

    :param machine: as found. :param facts: the set: rpm, W, Pa as read.
    """
    speed = facts.running.speed
    if speed is None or speed.value <= 0 or facts.above_synchronous:
        return None
    ratio = speed.value / machine.speed.value
    pressure = facts.pressure if machine.pressure_is_measured else None
    if pressure is not None and pressure.value > 0 and not _on_same_system(machine, pressure, ratio):
        return _along_the_curve(machine, facts, pressure, ratio)
    return at_speed(machine, speed)[0] if machine.fixed_pressure.value == 0 else None


def _on_same_system(machine: FoundMachine, pressure: Estimate, ratio: float) -> bool:
    rest = machine.pressure.value - machine.fixed_pressure.value
    expected = machine.fixed_pressure.value + rest * ratio**2
    apart = abs(math.log(pressure.value / expected))
    spread = math.hypot(pressure.standard / pressure.value, machine.pressure.standard / machine.pressure.value)
    return apart < max(SAME_SYSTEM, COVERAGE_95 * spread)


def _along_the_curve(machine: FoundMachine, facts: SetFacts, pressure: Estimate, ratio: float) -> Estimate:
    curve = MachineCurve(
        machine.shape, machine.flow.value, machine.pressure.value, machine.shaft_power.value, machine.place.value
    )
    power = facts.shaft_power
    motor = (power.value, power.standard) if power and power.value > 0 else None
    found = locate(curve, ratio, motor, (pressure.value, pressure.standard)).flow
    scaled = machine.flow * (found.value / machine.flow.value)
    return scaled.with_contribution(f"place on the curve, {facts.title}", found.standard)
