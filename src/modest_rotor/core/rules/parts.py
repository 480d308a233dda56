"""Which parts a kind of motor has: no rule speaks of one that is not there."""

from __future__ import annotations

from modest_rotor.core.assessment import Finding, ProvingTest
from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.rules.case import Case
from modest_rotor.core.say import joined, say
from modest_rotor.core.tables import read_table

WITH_CAPACITOR = (None, MotorKind.SPLIT_CAPACITOR, MotorKind.SINGLE_PHASE)
"""Kinds that have a run or start capacitor, or may have one while the kind is not known. Common practice, no source."""
WITH_TAPS = (None, MotorKind.SPLIT_CAPACITOR, MotorKind.SHADED_POLE, MotorKind.ELECTRONIC)
"""Kinds whose speed is set by taps; the others have one setting."""


def may_have_capacitor(case: Case) -> bool:
    """Whether the motor has a capacitor, or may have one."""
    plate = case.job.document.nameplate
    return plate.kind in WITH_CAPACITOR or (plate.run_capacitance is not None and not plate.is_electronic)


def may_have_taps(case: Case) -> bool:
    """Whether the motor has speed taps, or may have them."""
    return case.job.document.nameplate.kind in WITH_TAPS


def usual_suspects(case: Case) -> str:
    """What is usually behind readings that do not go together, of the parts that this motor has."""
    named = [
        say("parts-usual-suspects-wrong-figure"),
        say("parts-usual-suspects-meter-s"),
        say("parts-usual-suspects-cold-motor"),
    ]
    if may_have_taps(case):
        named.insert(0, say("parts-usual-suspects-another-tap"))
    if case.job.document.nameplate.kind in (None, MotorKind.SPLIT_CAPACITOR):
        named.append(say("parts-usual-suspects-weak-run"))
    return joined(", ", named)


def for_this_kind(finding: Finding, case: Case) -> Finding:
    """The finding with the proving test of this kind of motor, where the usual one speaks of parts that it does not have."""
    if finding.test is None:
        return finding
    switched = case.job.document.nameplate.kind is MotorKind.SINGLE_PHASE
    wanted = (
        say("parts-for-this-kind-start-switch")
        if switched
        else ""
        if may_have_capacitor(case)
        else say("parts-for-this-kind-capacitor")
    )
    row = next(
        (row for row in read_table("proofs") if row["rule"] == finding.rule and wanted and row["for"] == wanted), None
    )
    if row is None:
        return finding
    set_id = finding.key.partition("/")[2]
    path = row["path"].replace("{set}", set_id) if set_id or "{set}" not in row["path"] else None
    test = ProvingTest(
        caution=row["caution"], how=row["how"], proves=row["proves"], clears=row["clears"], path=path or None
    )
    return finding.model_copy(update={"test": test})
