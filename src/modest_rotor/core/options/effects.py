"""If one thing changed on the machine as found: what every meter would show. The machine is solved anew for each change."""

from __future__ import annotations

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.identify.fit import FittedMotor
from modest_rotor.core.identify.perturb import Change, Direction, Measurand, Setup, Shift, shifts
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.outcome import Absent
from modest_rotor.core.phrase import Figure, Frozen, figure
from modest_rotor.core.physics.fan import MachineType
from modest_rotor.core.physics.load import Load
from modest_rotor.core.physics.operating_point import Condition, InductionMotor
from modest_rotor.core.physics.supply import Supply
from modest_rotor.core.say import say
from modest_rotor.core.tables import find_row

OF_FANS = (
    Change.TIGHTER, Change.MORE_OPEN, Change.FILTER_OUT, Change.FOULED, Change.DRAG, Change.VOLTS_LOW, Change.CAPACITOR_WEAK,
    Change.CAPACITOR_DEAD, Change.OTHER_TAP, Change.BELT_SLIPS, Change.THIN_AIR,
)  # fmt: skip
OF_PUMPS = tuple(change for change in OF_FANS if change not in (Change.FILTER_OUT, Change.BELT_SLIPS, Change.THIN_AIR))
WORDS_OF_PUMPS = {
    Change.TIGHTER: say("effects-words-of-pumps-circuit-tighter"),
    Change.MORE_OPEN: say("effects-words-of-pumps-circuit-more"),
}
SHOWN = (Measurand.SPEED, Measurand.AMPS, Measurand.WATTS, Measurand.FLOW, Measurand.PRESSURE)
SOURCE = say("effects-source")


class Effect(Frozen):
    """How one reading moves: which way, and by how much of what it shows now."""

    measurand: Measurand
    direction: Direction
    ratio: Figure


class ChangeRow(Frozen):
    """One change and what it does; ``remark`` says more than the readings where there is more to say."""

    change: str
    size: str
    moves: tuple[Effect, ...]
    remark: str | None


class EffectTable(Frozen):
    """Every change that this machine can suffer, or what the table waits for."""

    waits: str | None
    rows: tuple[ChangeRow, ...]
    source: str


def effect_table(found: FoundMachine | Absent) -> EffectTable:
    """What every reading would show if one thing changed on the machine as found."""
    if isinstance(found, Absent) or found.own is None:
        refusal = found if isinstance(found, Absent) else found.fit.refusal if found.fit else None
        words = refusal.why if refusal else say("term-waits-for-the-plate")
        return EffectTable(waits=words, rows=(), source=SOURCE)
    changes = OF_PUMPS if found.machine_type is MachineType.PUMP else OF_FANS
    rows = tuple(row for change in changes if (row := _row(found, found.own, change)))
    return EffectTable(waits=None, rows=rows, source=SOURCE)


def _row(found: FoundMachine, own: FittedMotor, change: Change) -> ChangeRow | None:
    def build(motor: InductionMotor) -> Setup:
        supply = Supply(found.volts.value, own.plate.frequency_hz)
        return Setup(motor, supply, Load(found.curve, found.speed.value, found.system))

    try:
        moved, condition = shifts(own.family, own.estimates, build, change)
    except OutsideValidity:  # a part that this machine does not have
        return None
    words = WORDS_OF_PUMPS.get(change, str(change)) if found.machine_type is MachineType.PUMP else str(change)
    return ChangeRow(
        change=words,
        size=find_row("perturbations", change=change.value)["said"],
        moves=tuple(_move(measurand, moved[measurand]) for measurand in SHOWN if measurand in moved),
        remark=condition.words if _is_sure(change, condition) else None,
    )


def _is_sure(change: Change, condition: Condition) -> bool:
    """Starting torque hardly shows in plate and running readings: that a motor would not start is told only of a lost winding."""
    if condition is Condition.WILL_NOT_START:
        return change is Change.CAPACITOR_DEAD
    return condition > Condition.OUTSIDE_CURVE


def _move(measurand: Measurand, shift: Shift) -> Effect:
    return Effect(measurand=measurand, direction=shift.direction, ratio=figure("change", shift.ratio, "estimated"))
