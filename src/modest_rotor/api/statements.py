"""What is said by name over HTTP: findings marked, stops answered for, approvals recorded, steps signed; and each withdrawn."""

from __future__ import annotations

from fastapi import APIRouter, Response
from pydantic import Field

from modest_rotor.api.contracts import LONGEST_NAME, JobView, Step, Words, time_now, view
from modest_rotor.core.statements import (
    Said,
    Speaker,
    answer_for_stop,
    mark_finding,
    record_approval,
    sign_step,
    withdraw,
)
from modest_rotor.core.stations.findings import MarkState
from modest_rotor.core.stations.setup import SignState
from modest_rotor.store import jobs
from modest_rotor.store.database import with_connection
from modest_rotor.store.fits import assess_job

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
    job = jobs.load(job_id).job
    return _kept(
        job_id, said, mark_finding(job, assess_job(job), said.finding, said.state, said.note, _speaker(said.who))
    )


@router.post("/jobs/{job_id}/waivers", response_model=JobView)
@with_connection
def waive(job_id: int, said: WaiverIn) -> Response:
    """Answer for a stop, by name and with a reason; some nobody can answer for."""
    job = jobs.load(job_id).job
    speaker = _speaker(said.name)
    return _kept(job_id, said, answer_for_stop(job, assess_job(job), said.option, said.check, said.reason, speaker))


@router.post("/jobs/{job_id}/approvals", response_model=JobView)
@with_connection
def approve(job_id: int, said: ApprovalIn) -> Response:
    """Record what somebody else approved."""
    job = jobs.load(job_id).job
    return _kept(job_id, said, record_approval(job, said.of, said.given_by, said.role, _speaker(said.who)))


@router.post("/jobs/{job_id}/setup/sign", response_model=JobView)
@with_connection
def sign(job_id: int, said: SignIn) -> Response:
    """Sign a step by name. Earlier signatures stay; a step that somebody else signed meanwhile is shown first."""
    job = jobs.load(job_id).job
    found = sign_step(job, assess_job(job), said.step, said.state, said.found, said.seen, _speaker(said.who))
    return _kept(job_id, said, found)


@router.post("/jobs/{job_id}/withdrawals", response_model=JobView)
@with_connection
def take_back(job_id: int, said: WithdrawalIn) -> Response:
    """Take back what was said, by name and with the reason; it stays in the job as withdrawn."""
    job = jobs.load(job_id).job
    return _kept(job_id, said, withdraw(job, said.statements, said.id, said.why, _speaker(said.who)))


def _speaker(name: str) -> Speaker:
    return Speaker(name, time_now())


def _kept(job_id: int, step: Step, said: Said) -> Response:
    return view(jobs.save_statement(job_id, step.revision, said, step.who))
