"""A motor that is dead or does not start: what to look at, one thing after the other, until the fault is found."""

from __future__ import annotations

from modest_rotor.core.assessment import CheckProcedure, CheckStep, StepState
from modest_rotor.core.entry import Entry
from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.identify.windings import Windings
from modest_rotor.core.job import JobDocument
from modest_rotor.core.phrase import Phrase, as_typed
from modest_rotor.core.rules.capacitor import reads_its_label
from modest_rotor.core.rules.case import Case
from modest_rotor.core.say import joined, run_on, say, tell
from modest_rotor.core.stations.findings import ModulePart
from modest_rotor.core.stations.identity import LEAST_GROUND_OHM, winding_reading
from modest_rotor.core.tables import read_table

GROUPS = {
    MotorKind.SPLIT_CAPACITOR: "capacitor",
    MotorKind.SINGLE_PHASE: "switch",
    MotorKind.SHADED_POLE: "shaded",
    MotorKind.THREE_PHASE: "three-phase",
    MotorKind.ELECTRONIC: "electronic",
}
TITLE = say("dead-title")
ALL_GOOD = {
    "capacitor": say("dead-all-good-supply-shaft"),
    "switch": say("dead-all-good-supply-shaft-capacitors"),
    "shaded": say("dead-all-good-supply-shaft-insulation"),
    "three-phase": say("dead-all-good-lines-shaft"),
    "electronic": say("dead-all-good-motor-good"),
}
MODULE = {ModulePart.SEPARATE: say("dead-module-replace-module"), ModulePart.ONE_PIECE: say("dead-module-module-one")}


def dead_motor(case: Case) -> CheckProcedure | None:
    """The procedure of a dead motor as far as it was gone, or nothing for a motor that runs.

    Each step is done and good, done and the fault, the next to do, or still to come; both outcomes are said. Source: table
    dead_steps, common practice.
    """
    document = case.job.document
    if not document.call.is_dead:
        return None
    kind = document.nameplate.kind
    if kind is None:
        return CheckProcedure(title=TITLE, steps=(), verdict=(say("dead-way"),), action=None)
    return _walk(GROUPS[kind], case)


def _walk(group: str, case: Case) -> CheckProcedure:
    document = case.job.document
    steps: list[CheckStep] = []
    verdict: Phrase | None = None
    action: str | None = None
    waiting = True
    for row in read_table("dead_steps"):
        if row["group"] != group or _does_not_apply(row["path"], document):
            continue
        good, told = _answer(row, document)
        if verdict is not None:
            state = StepState.LATER
        elif good is None:
            state = StepState.NEXT if waiting else StepState.LATER
            waiting = False
        else:
            state = StepState.GOOD if good else StepState.FAULT
        if state is StepState.FAULT:
            verdict, action = run_on(row["verdict"], tell("dead-walk", told=told) if told else ""), row["action"]
        steps.append(
            CheckStep(
                path=row["path"],
                question=row["question"],
                caution=row["caution"],
                state=state,
                remark=told,
                if_not=row["verdict"] or None,
            )
        )
    if verdict is None and all(step.state is StepState.GOOD for step in steps):
        verdict = (joined("", (ALL_GOOD[group], MODULE[document.checks.module] if document.checks.module else "")),)
    return CheckProcedure(title=TITLE, steps=tuple(steps), verdict=verdict, action=action)


def _does_not_apply(path: str, document: JobDocument) -> bool:
    """Steps that this motor has no part for: a run capacitor not on the plate, a drive without a word of one."""
    checks = document.checks
    if path == "checks/drive_output":
        return not checks.fault_word and checks.drive_output is None
    return path == "checks/start_capacitor" and document.identification.start_capacitor == "no"


def _answer(row: dict[str, str], document: JobDocument) -> tuple[bool | None, Phrase]:
    """Whether a step was found good, and what was found; nothing where it was not done."""
    path = row["path"]
    if path == "checks/capacitance":
        return _capacitor(document)
    if path == "identification/first_second":
        return _windings(document)
    if path == "identification/to_ground":
        entry = document.identification.to_ground
        return (
            (None, ())
            if entry is None
            else (entry.si >= LEAST_GROUND_OHM, (as_typed("ground_resistance", entry, "measured"),))
        )
    station, field = path.split("/")
    said = getattr(getattr(document, station), field)
    if said is None:
        return None, ()
    return row["good"] == "*" or getattr(said, "value", said) in row["good"].split("|"), ()


def _capacitor(document: JobDocument) -> tuple[bool | None, Phrase]:
    read: Entry | None = document.checks.capacitance
    label: Entry | None = document.nameplate.run_capacitance
    if read is None:
        return None, ()
    told: Phrase = (as_typed("capacitance", read, "measured"),)
    if label is None:
        return True, tell("dead-capacitor-label-hold", told=told)
    return reads_its_label(read, label, document.nameplate), tell(
        "dead-capacitor-against", told=told, capacitance=as_typed("capacitance", label, "plate")
    )


def _windings(document: JobDocument) -> tuple[bool | None, Phrase]:
    reading = winding_reading(document.identification)
    if reading is None:
        return None, ()
    three = document.nameplate.kind in (MotorKind.THREE_PHASE, MotorKind.ELECTRONIC)
    sound = (Windings.EQUAL,) if three else (Windings.START_AND_RUN, Windings.TWO_EQUAL)
    return reading.verdict in sound, (str(reading.verdict),)
