"""Commands of what is said by name: to mark a finding, answer for a stop, record an approval, sign a step, and to withdraw any of them.

What they make is no edit: no edit changes it, no undo takes it back. It is withdrawn, by name, and both stay in the job. A mark
alone may be made by nobody in particular; it then says so.
"""

from __future__ import annotations

from dataclasses import dataclass
from typing import Any

from modest_rotor.core.assessment import Assessment
from modest_rotor.core.changes import next_id, value_at, with_change
from modest_rotor.core.errors import ChangeRefused, Conflict, UnknownItem
from modest_rotor.core.job import Job
from modest_rotor.core.say import say
from modest_rotor.core.setup.steps import refusal_to_sign
from modest_rotor.core.stations.findings import MarkState
from modest_rotor.core.stations.setup import SignState

MARKS, WAIVERS, APPROVALS, SIGNS = "marks", "options/waivers", "decision/approvals", "setup/signs"
STATEMENTS = {
    MARKS: say("statement-mark"),
    WAIVERS: say("core-statements-statements"),
    APPROVALS: say("statement-approval"),
    SIGNS: say("statement-signature"),
}
"""Where statements stand in a job, and what one is called."""


@dataclass(frozen=True)
class Edit:
    """What is kept of a command: another value at a path, as plain data, and what the history calls it.

    :param label: ``None`` where it is called as its field is. :param by_name: whether somebody says it by name: no edit then changes
        it, and no undo takes it back.
    """

    path: str
    after: Any
    label: str | None = None
    by_name: bool = False


@dataclass(frozen=True)
class Actor:
    """Who does it, and when.

    :param at: the time now in UTC, as the job keeps times. :param latest: the latest time that any clock on earth shows now.
    """

    name: str
    at: str
    latest: str = ""

    def named(self, what: str) -> str:
        """The name. :raises ChangeRefused: there is none."""
        if not self.name.strip():
            raise ChangeRefused(say("core-statements-named", what=what))
        return self.name.strip()


def mark_finding(
    job: Job, assessment: Assessment, finding: str, state: MarkState, note: str, actor: Actor
) -> Edit:  # fmt: skip
    """Say of a finding what became of it; earlier marks stay.

    :param finding: key of the finding. :raises ChangeRefused: it is not there any more.
    """
    if finding not in {one.key for one in assessment.findings}:
        raise ChangeRefused(say("core-statements-mark-finding-finding-there"))
    new = {"finding": finding, "state": state, "note": note or None, "who": actor.name.strip() or None}
    return _with(job, MARKS, new, actor, say("core-statements-mark-finding-finding", state=state))


def answer_for_stop(
    job: Job, assessment: Assessment, option: str, check: str, reason: str, actor: Actor
) -> Edit:  # fmt: skip
    """Answer for a stop, by name and with a reason.

    :param option: id of the option. :param check: name of the check that stops it.
    :raises ChangeRefused: the stop is not there any more, nobody can answer for it, or name or reason are missing.
    """
    asked = next((one for one in assessment.options.options if one.id == option), None)
    stop = next((one for one in asked.checks if one.check == check), None) if asked else None
    if stop is None:
        raise ChangeRefused(say("core-statements-answer-for-stop-stop-there"))
    if not stop.can_be_waived:
        raise ChangeRefused(say("core-statements-answer-for-stop-nobody-can", question=stop.question))
    if not actor.name.strip() or not reason.strip():
        raise ChangeRefused(say("core-statements-answer-for-stop-stop-answered"))
    name = actor.name.strip()
    new = {"option": option, "check": check, "who": name, "reason": reason.strip()}
    return _with(job, WAIVERS, new, actor, say("core-statements-answer-for-stop-answers-stop", name=name))


def record_approval(job: Job, of: str, given_by: str, role: str, actor: Actor) -> Edit:
    """Record what somebody else approved.

    :param of: what was approved. :param given_by: who gave it. :raises ChangeRefused: what, by whom, or who records it is missing.
    """
    if not of.strip() or not given_by.strip():
        raise ChangeRefused(say("core-statements-record-approval-approval-says"))
    by = actor.named(say("core-statements-record-approval-approval-recorded"))
    new = {"of": of.strip(), "who": given_by.strip(), "role": role.strip() or None, "by": by}
    return _with(
        job, APPROVALS, new, actor, say("core-statements-record-approval-approval-recorded-2", strip=of.strip()[:40])
    )


def sign_step(
    job: Job, assessment: Assessment, step: str, state: SignState, found: str, seen: str | None, actor: Actor
) -> Edit:  # fmt: skip
    """Sign a step of Set-up; earlier signatures stay.

    :param seen: id of the signature that whoever signs saw last on this step.
    :raises ChangeRefused: nobody signs, or the step cannot be signed so. :raises Conflict: somebody signed it meanwhile.
    :raises UnknownItem: Set-up has no such step now.
    """
    steps = assessment.setup.steps
    asked = next((one for one in steps if one.step == step), None)
    if asked is None:
        raise UnknownItem(say("core-statements-sign-step-step-there"))
    who = actor.named(say("core-statements-sign-step-step-signed"))
    if asked.signed and asked.signed.id != seen:
        raise Conflict(say("core-statements-sign-step-signed-step", who=asked.signed.who, state=asked.signed.state))
    refusal = refusal_to_sign(steps, asked, state)
    if refusal is not None:
        raise ChangeRefused(say("core-statements-sign-step-nothing-signed", refusal=refusal))
    new = {"step": step, "state": state, "found": found.strip() or None, "basis": asked.basis, "who": who}
    return _with(
        job, SIGNS, new, actor, say("core-statements-sign-step-step-signed-2", number=asked.number, state=state)
    )


def withdraw(job: Job, path: str, statement: str, why: str, actor: Actor) -> Edit:
    """Take back what was said, by name and with the reason; it stays in the job as withdrawn.

    :param path: one of ``STATEMENTS``. :param statement: its id.
    :raises ChangeRefused: nobody says it, no reason is given, or it was withdrawn before. :raises UnknownItem: there is none.
    """
    if path not in STATEMENTS:
        raise UnknownItem(say("core-statements-withdraw-job-statements", path=path[:80]))
    who = actor.named(say("core-statements-withdraw-earlier-withdrawn", statements=STATEMENTS[path]))
    if not why.strip():
        raise ChangeRefused(say("core-statements-withdraw-what-said"))
    items: list[dict[str, Any]] = value_at(job, path)
    said = next((one for one in items if one["id"] == statement), None)
    if said is None:
        raise UnknownItem(say("core-statements-withdraw-there", statements=STATEMENTS[path]))
    if said["withdrawn"] is not None:
        raise ChangeRefused(say("core-statements-withdraw-withdrew-meanwhile", said=said["withdrawn"]["who"]))
    withdrawal = {"who": who, "at": actor.at, "why": why.strip()}
    after = [one | {"withdrawn": withdrawal} if one is said else one for one in items]
    return Edit(
        path, after, say("core-statements-withdraw-withdrawn", statements=STATEMENTS[path], who=who), by_name=True
    )


def refuse_statements(before: Job, after: Job) -> None:
    """Refuse an edit that would change what somebody said.

    :raises ChangeRefused: a statement would be made, changed or lost by it.
    """
    for path, name in STATEMENTS.items():
        if value_at(before, path) != value_at(after, path):
            raise ChangeRefused(say("core-statements-refuse-statements", name=name))


def without_statements(path: str, value: Any) -> Any:
    """What stands at a path, as plain data, without the statements in it: what undo compares."""
    if not isinstance(value, dict):
        return value
    inside = {one.removeprefix(f"{path}/") for one in STATEMENTS if one.startswith(f"{path}/")}
    return {name: inner for name, inner in value.items() if name not in inside}


def with_statements_of(job: Job, changed: Job) -> Job:
    """A job as it was changed, with every statement as it stands now: an undo takes none back."""
    for path in STATEMENTS:
        now = value_at(job, path)
        if value_at(changed, path) != now:
            changed = with_change(changed, path, now)
    return changed


def _with(job: Job, path: str, new: dict[str, Any], actor: Actor, label: str) -> Edit:
    items = value_at(job, path)
    return Edit(path, [*items, {"id": next_id(items), **new, "at": actor.at}], label, by_name=True)
