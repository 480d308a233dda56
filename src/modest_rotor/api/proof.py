"""Proof over HTTP: a job signed off as it stands, and what was signed before, readable for ever."""

from __future__ import annotations

from datetime import tzinfo
from typing import Literal

from fastapi import APIRouter, Request, Response
from fastapi.concurrency import run_in_threadpool
from pydantic import BaseModel, Field

from modest_rotor.api.contracts import LONGEST_NAME, JobView, Step, Words, ZoneName, actor_now, view
from modest_rotor.api.duty import LogConfirmed, read_apart
from modest_rotor.api.report import letterhead_of, report_response
from modest_rotor.core.commands.year import TakeEnergy
from modest_rotor.core.quantities import UnitSystem
from modest_rotor.core.report import Report, build_report
from modest_rotor.formats.clock import on_clock_of, zone_of
from modest_rotor.formats.logger_csv import LogReport
from modest_rotor.store import jobs, logs, signed
from modest_rotor.store.database import with_connection
from modest_rotor.store.signed import SignedJob, SignedLine

router = APIRouter(prefix="/api", tags=["proof"])


class SignOff(Step):
    """A sign-off: the revision that was looked at, who signs, in which role."""

    role: Words = Field(default="", max_length=LONGEST_NAME)


class SignedView(BaseModel):
    """What was signed, whole; ``newer`` where the job has moved on since."""

    signed: SignedJob
    newer: bool


@router.post("/jobs/{job_id}/sign-off", response_model=JobView)
@with_connection
def sign_off(job_id: int, said: SignOff) -> Response:
    """Freeze job, assessment and program version together; later changes open a new revision."""
    signed.sign(job_id, said.revision, said.who, said.role)
    stored = jobs.load(job_id)
    logs.forget_told(stored.machine_id)
    return view(stored)


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
def signed_report(job_id: int, number: int, zone: ZoneName = "") -> Report:
    """The report of what was signed, its times on the reader's clock."""
    return _report(signed.signed(job_id, number), zone_of(zone))


@router.get("/jobs/{job_id}/signed/{number}/report.{form}")
@with_connection
def signed_report_file(
    job_id: int,
    number: int,
    form: Literal["pdf", "xlsx", "json"],
    units: UnitSystem | None = None,
    zone: ZoneName = "",
) -> Response:
    """The same as a file."""
    found = signed.signed(job_id, number)
    return report_response(_report(found, zone_of(zone)), found.assessment, form, units, letterhead_of())


@router.post("/jobs/{job_id}/proof/log", response_model=JobView)
async def take_logger(job_id: int, file: LogConfirmed, request: Request) -> Response:
    """Take the energy of a logger's watts after over into the proof, with the days that it covers."""
    report = await read_apart(file, request)
    return await run_in_threadpool(_take_energy, job_id, file, report)


@with_connection
def _take_energy(job_id: int, file: LogConfirmed, report: LogReport) -> Response:
    command = TakeEnergy(report.year, report.value_column, report.rows)
    return view(jobs.carry_out(job_id, file.revision, command, actor_now(file.who)))


def _report(found: SignedJob, zone: tzinfo) -> Report:
    line = found.line
    who = ", ".join(part for part in (line.who, line.role) if part)
    anew = f" (numbers worked out anew: program {line.program_version} kept them in another form)" if found.anew else ""
    day = f"{line.at.astimezone(zone):%d %B %Y}"
    report = build_report(on_clock_of(zone, found.job), found.assessment, day, line.revision, signed=f"{who}{anew}")
    return report.model_copy(update={"since_signed": signed.since_signed(found)})
