"""Proof over HTTP: a job signed off as it stands, and what was signed before, readable for ever."""

from __future__ import annotations

from datetime import UTC, datetime
from typing import Literal

from fastapi import APIRouter, Response
from pydantic import BaseModel, Field

from modest_rotor.api.contracts import LONGEST_NAME, JobView, Step, Words, view
from modest_rotor.api.report import report_response
from modest_rotor.core.quantities import UnitSystem
from modest_rotor.core.report import Report, build_report
from modest_rotor.store import jobs, logs, signed
from modest_rotor.store.database import with_connection
from modest_rotor.store.fits import assess_job
from modest_rotor.store.signed import SignedJob, SignedLine

router = APIRouter(prefix="/api", tags=["proof"])


class SignOff(Step):
    """A sign-off: the revision that was looked at, who signs, in which role."""

    role: Words = Field(default="", max_length=LONGEST_NAME)


class SignedView(BaseModel):
    """What was signed, whole; ``newer`` where the job has moved on since."""

    signed: SignedJob
    newer: bool


@router.post("/jobs/{job_id}/sign-off")
@with_connection
def sign_off(job_id: int, said: SignOff) -> JobView:
    """Freeze job, assessment and program version together; later changes open a new revision."""
    signed.sign(job_id, said.revision, said.who, said.role)
    stored = jobs.load(job_id)
    logs.forget_told(stored.machine_id)
    return view(stored, assess_job(stored.job))


@router.get("/jobs/{job_id}/signed")
@with_connection
def signed_lines(job_id: int) -> tuple[SignedLine, ...]:
    """Every sign-off of a job."""
    return signed.signed_lines(job_id)


@router.get("/jobs/{job_id}/signed/{number}")
@with_connection
def read_signed(job_id: int, number: int) -> SignedView:
    """One sign-off as it was signed."""
    found = signed.signed(job_id, number)
    return SignedView(signed=found, newer=jobs.load(job_id).revision != found.line.revision)


@router.get("/jobs/{job_id}/signed/{number}/report")
@with_connection
def signed_report(job_id: int, number: int) -> Report:
    """The report of what was signed."""
    return _report(signed.signed(job_id, number))


@router.get("/jobs/{job_id}/signed/{number}/report.{form}")
@with_connection
def signed_report_file(
    job_id: int, number: int, form: Literal["pdf", "xlsx", "json"], units: UnitSystem | None = None
) -> Response:
    """The same as a file."""
    found = signed.signed(job_id, number)
    return report_response(_report(found), found.assessment, form, units)


def _report(found: SignedJob) -> Report:
    line = found.line
    day = f"{line.at.astimezone(UTC):%d %B %Y}" if isinstance(line.at, datetime) else ""
    return build_report(
        found.job, found.assessment, day, line.revision, signed=f"{line.who}{', ' + line.role if line.role else ''}"
    )
