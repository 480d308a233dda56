"""The readings of one set in the order that saves walks, each with how it is taken and its caution."""

from __future__ import annotations

from enum import StrEnum

from modest_rotor.core.identify.motor import MotorKind, PlateFacts
from modest_rotor.core.phrase import Frozen
from modest_rotor.core.physics.fan import MachineType, medium_of
from modest_rotor.core.tables import read_table


class RoundPhase(StrEnum):
    """State of the machine while a reading is taken."""

    ISOLATED = "isolated"
    OPENED = "opened"
    RUNNING = "running"


class RoundStep(Frozen):
    """One reading of the round: the field of a set that it is kept in, how it is taken, and what to beware of."""

    phase: RoundPhase
    field: str
    how: str
    caution: str


CAPACITOR_KINDS = (MotorKind.SPLIT_CAPACITOR, MotorKind.SINGLE_PHASE, None)
"""Kinds that have a run capacitor, or may have one while the plate does not say."""


def reading_round(machine_type: MachineType | None, plate: PlateFacts) -> tuple[RoundStep, ...]:
    """The readings of a round on this machine.

    :param machine_type: what the motor drives; a fan where it is not said. :param plate: what is known of the motor.
    Source: the table of the round, common practice, no source.
    """
    machine = medium_of(machine_type).machine
    motors = {"any", "three" if plate.kind is MotorKind.THREE_PHASE else "single"}
    if plate.kind in CAPACITOR_KINDS and not plate.is_electronic:
        motors.add("capacitor")
    return tuple(
        RoundStep(phase=RoundPhase(row["phase"]), field=row["field"], how=row["how"], caution=row["caution"])
        for row in read_table("reading_round")
        if row["machine_type"] in ("any", machine) and row["motor"] in motors
    )
