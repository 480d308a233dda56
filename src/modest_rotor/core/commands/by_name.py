"""What somebody says by name, and takes back."""

from __future__ import annotations

from dataclasses import dataclass

from modest_rotor.core.commands.command import Command, Found
from modest_rotor.core.job import Job
from modest_rotor.core.statements import (
    Actor,
    Edit,
    answer_for_stop,
    mark_finding,
    record_approval,
    sign_step,
    withdraw,
)
from modest_rotor.core.stations.findings import MarkState
from modest_rotor.core.stations.setup import SignState


@dataclass(frozen=True)
class MarkFinding(Command):
    """What became of a finding."""

    finding: str
    state: MarkState
    note: str = ""

    def edits(self, job: Job, actor: Actor, found: Found) -> tuple[Edit, ...]:
        """Errors as :func:`decide`."""
        return (mark_finding(job, found(), self.finding, self.state, self.note, actor),)


@dataclass(frozen=True)
class WaiveStop(Command):
    """A stop that the actor answers for."""

    option: str
    check: str
    reason: str

    def edits(self, job: Job, actor: Actor, found: Found) -> tuple[Edit, ...]:
        """Errors as :func:`decide`."""
        return (answer_for_stop(job, found(), self.option, self.check, self.reason, actor),)


@dataclass(frozen=True)
class RecordApproval(Command):
    """What somebody else approved."""

    of: str
    given_by: str
    role: str = ""

    def edits(self, job: Job, actor: Actor, found: Found) -> tuple[Edit, ...]:
        """Errors as :func:`decide`."""
        return (record_approval(job, self.of, self.given_by, self.role, actor),)


@dataclass(frozen=True)
class SignStep(Command):
    """A step of Set-up signed; ``seen`` is the signature that the actor saw last on it."""

    step: str
    state: SignState
    found: str = ""
    seen: str | None = None

    def edits(self, job: Job, actor: Actor, found: Found) -> tuple[Edit, ...]:
        """Errors as :func:`decide`."""
        return (sign_step(job, found(), self.step, self.state, self.found, self.seen, actor),)


@dataclass(frozen=True)
class Withdraw(Command):
    """A statement taken back, by the list that it stands in and its id."""

    statements: str
    id: str
    why: str

    def edits(self, job: Job, actor: Actor, found: Found) -> tuple[Edit, ...]:
        """Errors as :func:`decide`."""
        return (withdraw(job, self.statements, self.id, self.why, actor),)
