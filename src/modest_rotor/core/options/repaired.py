"""The repaired baseline: what a repair makes of it, which is what every saving is held against."""

from __future__ import annotations

from dataclasses import dataclass

from modest_rotor.core.estimate import Estimate, exactly, measured
from modest_rotor.core.identify.meters import read_by_meter
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.moved import Moves, moved_machine
from modest_rotor.core.outcome import Absent, Waiting, Withheld
from modest_rotor.core.phrase import Phrase, figure
from modest_rotor.core.physics.fan import medium_of
from modest_rotor.core.quantities import in_both_units
from modest_rotor.core.say import say, tell
from modest_rotor.core.stations.options import OptionCosts, Repair

USUAL_WHEEL_LOSS, WHEEL_LOSS_SPREAD = 0.20, 0.10
"""Pressure that a fouled wheel has lost where nobody measured it, and its standard deviation. Our judgement, no source."""


@dataclass(frozen=True)
class RepairedBaseline:
    """The repaired baseline and what was done to it in words; or why one of the repairs cannot be reckoned.

    :param lacking: sentences on repairs that are named but not reckoned.
    """

    machine: FoundMachine
    done: tuple[Phrase, ...]
    lacking: tuple[str, ...]


def repaired_baseline(found: FoundMachine, asked: OptionCosts, capacitance_f: float | None) -> RepairedBaseline:
    """The machine with the repairs that were chosen; as found, where none was or none can be reckoned.

    :param capacitance_f: of the run capacitor as measured out of circuit, F.
    :param found: as found. :param asked: repairs chosen, Pa of the filter's excess and share of the wheel's loss.

    Source: :mod:`moved`; a fifth for a fouled wheel is our judgement where nothing is said.
    """
    parts, done, lacking = {}, [], []
    for repair in asked.repairs:
        ratio = _RATIOS[repair](found, asked, capacitance_f)
        if isinstance(ratio, Absent):
            lacking.append(ratio.why)
            continue
        parts[_PLACE[repair]] = ratio
        done.append(tell("put-right-x", repair=repair, value=_TOLD[repair](ratio)))
    machine = moved_machine(found, Moves(**parts))
    if isinstance(machine, Absent):
        return RepairedBaseline(found, (), (*lacking, say("put-right-repairs-cannot", why=machine.why)))
    return RepairedBaseline(machine, tuple(done), tuple(lacking))


def _capacitor(found: FoundMachine, _: OptionCosts, capacitance_f: float | None) -> Estimate | Absent:
    label = found.plate.run_capacitance_f
    if label is None or capacitance_f is None:
        return Waiting(say("put-right-capacitor-new-run"))
    if capacitance_f <= 0:
        return Withheld(say("put-right-capacitor-run-capacitor"))
    return measured(capacitance_f / label, **{"capacitance meter": 0.02 * capacitance_f / label})


def _filter(found: FoundMachine, asked: OptionCosts, _: float | None) -> Estimate | Absent:
    if asked.filter_excess is None or not found.pressure_is_measured:
        return Waiting(say("put-right-filter-clean-filter"))
    excess = read_by_meter(asked.filter_excess, "pressure", "filter over a clean one's")
    growing = found.pressure.value - found.fixed_pressure.value
    if excess.value >= growing:
        told_in = medium_of(found.machine_type).pressure
        return Withheld(
            say(
                "put-right-filter-filter-cannot",
                in_both_units=in_both_units(excess.value, told_in),
                in_both_units_2=in_both_units(growing, told_in),
            )
        )
    return exactly(1.0) - excess * (1 / growing)


def _wheel(_: FoundMachine, asked: OptionCosts, __: float | None) -> Estimate | Absent:
    lost = asked.wheel_loss.si if asked.wheel_loss else USUAL_WHEEL_LOSS
    if lost >= 1:
        return Withheld(say("put-right-wheel"))
    return measured(1 / (1 - lost), **{"pressure lost by the wheel": WHEEL_LOSS_SPREAD * lost / USUAL_WHEEL_LOSS})


def _belt(_: FoundMachine, __: OptionCosts, ___: float | None) -> Estimate | Absent:
    return Withheld(say("put-right-belt"))


def _share(ratio: Estimate) -> Phrase:
    return tell("put-right-share", ratio=figure("ratio", ratio, "estimated"))


_RATIOS = {Repair.CAPACITOR: _capacitor, Repair.FILTER: _filter, Repair.WHEEL: _wheel, Repair.BELT: _belt}
_PLACE = {Repair.CAPACITOR: "capacitor", Repair.FILTER: "system", Repair.WHEEL: "wheel", Repair.BELT: "system"}
_TOLD = {
    Repair.CAPACITOR: lambda ratio: tell("put-right-told-now-label", ratio=figure("ratio", ratio, "measured")),
    Repair.FILTER: lambda ratio: tell("put-right-told-system-takes", share=_share(ratio)),
    Repair.WHEEL: lambda ratio: tell("put-right-told-pressure-becomes", share=_share(ratio)),
    Repair.BELT: _share,
}
