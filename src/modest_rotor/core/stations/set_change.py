"""What changed from one set of readings to the next, and whether it is more than the meters can tell."""

from __future__ import annotations

from modest_rotor.core.estimate import Estimate
from modest_rotor.core.identify.meters import read_by_meter
from modest_rotor.core.phrase import Figure, Frozen, figure
from modest_rotor.core.physics.fan import MachineType, medium_of
from modest_rotor.core.stations.set_facts import SetFacts


class Change(Frozen):
    """One reading of a set less the same reading of the set before it."""

    field: str
    figure: Figure
    beyond: bool


def changes(before: SetFacts, after: SetFacts, machine_type: MachineType | None) -> tuple[Change, ...]:
    """Every reading that both sets have, as a difference with its 95 % uncertainty.

    Both were taken with the same meters, so what a meter is off in both falls out of the difference.

    :param before: the earlier set.
    :param after: the later set.
    :param machine_type: what the motor drives; it settles in which quantities pressure and flow are told.

    Source: law of propagation of uncertainty with shared sources, JCGM 100 (GUM) 5.2.
    """
    medium = medium_of(machine_type)
    read = (
        ("voltage", "voltage", before.running.voltage, after.running.voltage),
        ("current", "current", before.running.current, after.running.current),
        ("input_power", "input_power", before.running.input_power, after.running.input_power),
        ("speed", "speed", before.running.speed, after.running.speed),
        ("pressure", medium.pressure, before.pressure, after.pressure),
        ("flow", medium.flow, before.flow, after.flow),
        ("run_capacitor_volts", "capacitor_voltage", _across_capacitor(before), _across_capacitor(after)),
    )
    return tuple(_change(field, name, old, new) for field, name, old, new in read if old and new)


def _across_capacitor(facts: SetFacts) -> Estimate | None:
    """Volts across the run capacitor: they rise as the motor runs lighter, which is what blocked air does."""
    read = facts.reading.run_capacitor_volts
    return read_by_meter(read, "capacitor_voltage", "capacitor") if read else None


def _change(field: str, quantity: str, before: Estimate, after: Estimate) -> Change:
    difference = after - before
    return Change(
        field=field, figure=figure(quantity, difference), beyond=abs(difference.value) > difference.uncertainty
    )
