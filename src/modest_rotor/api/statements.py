"""What is said by name over HTTP: findings marked, stops answered for, approvals recorded, steps signed; and each withdrawn."""

from __future__ import annotations

from fastapi import APIRouter, Response
from pydantic import Field

from modest_rotor.api.contracts import LONGEST_NAME, JobView, Step, Words, actor_now, view
from modest_rotor.core.commands import Command
from modest_rotor.core.commands.by_name import MarkFinding, RecordApproval, SignStep, WaiveStop, Withdraw
from modest_rotor.core.stations.findings import MarkState
from modest_rotor.core.stations.setup import SignState
from modest_rotor.store import jobs
from modest_rotor.store.database import with_connection

router = APIRouter(prefix="/api", tags=["statements"])


class MarkIn(Step):
    """What is said of a finding."""

    finding: str = Field(max_length=120)
    state: MarkState
    note: Words = Field(default="", max_length=400)


class WaiverIn(Step):
    """A stop that somebody answers for."""

    option: str = Field(max_length=16)
    check: str = Field(max_length=40)
    name: Words = Field(max_length=LONGEST_NAME)
    reason: Words = Field(max_length=400)


class ApprovalIn(Step):
    """What somebody else approved; ``who`` records it."""

    of: Words = Field(max_length=LONGEST_NAME)
    given_by: Words = Field(max_length=LONGEST_NAME)
    role: Words = Field(default="", max_length=LONGEST_NAME)


class SignIn(Step):
    """A step signed, left out or stopped at; ``seen`` is the newest signature that whoever signs has seen on it."""

    step: str = Field(max_length=60)
    state: SignState = SignState.DONE
    found: Words = Field(default="", max_length=400)
    seen: str | None = Field(default=None, max_length=16)


class WithdrawalIn(Step):
    """A statement that is taken back: the list that it stands in, its id, and why."""

    statements: str = Field(max_length=40)
    id: str = Field(max_length=16)
    why: Words = Field(max_length=400)


@router.post("/jobs/{job_id}/marks", response_model=JobView)
@with_connection
def mark(job_id: int, said: MarkIn) -> Response:
    """Say of a finding what became of it; earlier marks stay."""
    return _said(job_id, said, MarkFinding(said.finding, said.state, said.note))


@router.post("/jobs/{job_id}/waivers", response_model=JobView)
@with_connection
def waive(job_id: int, said: WaiverIn) -> Response:
    """Answer for a stop, by name and with a reason; some nobody can answer for."""
    return _said(job_id, said, WaiveStop(said.option, said.check, said.reason), said.name)


@router.post("/jobs/{job_id}/approvals", response_model=JobView)
@with_connection
def approve(job_id: int, said: ApprovalIn) -> Response:
    """Record what somebody else approved."""
    return _said(job_id, said, RecordApproval(said.of, said.given_by, said.role))


@router.post("/jobs/{job_id}/setup/sign", response_model=JobView)
@with_connection
def sign(job_id: int, said: SignIn) -> Response:
    """Sign a step by name. Earlier signatures stay; a step that somebody else signed meanwhile is shown first."""
    return _said(job_id, said, SignStep(said.step, said.state, said.found, said.seen))


@router.post("/jobs/{job_id}/withdrawals", response_model=JobView)
@with_connection
def take_back(job_id: int, said: WithdrawalIn) -> Response:
    """Take back what was said, by name and with the reason; it stays in the job as withdrawn."""
    return _said(job_id, said, Withdraw(said.statements, said.id, said.why))


def _said(job_id: int, step: Step, command: Command, name: str | None = None) -> Response:
    """A statement of whoever sends it, or of whom they name."""
    return view(jobs.carry_out(job_id, step.revision, command, actor_now(step.who if name is None else name)))
