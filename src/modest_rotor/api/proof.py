"""Proof over HTTP: a job signed off as it stands, and what was signed before, readable for ever."""

from __future__ import annotations

from typing import Literal

from fastapi import APIRouter, Request, Response
from fastapi.concurrency import run_in_threadpool
from pydantic import Field

from modest_rotor.api.contracts import LONGEST_NAME, JobView, Step, Words, actor_now, view
from modest_rotor.api.duty import LogConfirmed, read_apart
from modest_rotor.api.report import file_response, letterhead_of, report_response
from modest_rotor.core.commands.year import TakeEnergy
from modest_rotor.core.phrase import Phrase, WithWords
from modest_rotor.core.quantities import UnitSystem
from modest_rotor.core.report import Report, build_report
from modest_rotor.core.say import Dated, say
from modest_rotor.formats.clock import LONGEST_ZONE, zone_of
from modest_rotor.formats.logger_csv import LogReport
from modest_rotor.store import jobs, logs, signed
from modest_rotor.store.database import with_connection
from modest_rotor.store.signed import SignedJob, SignedLine

router = APIRouter(prefix="/api", tags=["proof"])


class SignOff(Step):
    """A sign-off: the revision that was looked at, who signs, in which role."""

    role: Words = Field(default="", max_length=LONGEST_NAME)
    zone: Words = Field(
        default="",
        max_length=LONGEST_ZONE,
        description="on whose clock the report tells its times, for good; UTC for none",
    )


class SignedView(WithWords):
    """What was signed, whole; ``newer`` where the job has moved on since."""

    signed: SignedJob
    newer: bool


@router.post("/jobs/{job_id}/sign-off", response_model=JobView)
@with_connection
def sign_off(job_id: int, said: SignOff) -> Response:
    """Freeze job, assessment, program version and the report as it is shown; later changes open a new revision."""
    signed.sign(job_id, said.revision, said.who, said.role, zone=zone_of(said.zone), dressing=letterhead_of())
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


@router.get("/jobs/{job_id}/signed/{number}/report", response_model=Report)
@with_connection
def signed_report(job_id: int, number: int) -> Response:
    """The report of what was signed, as it was shown then; where an earlier program called its fields otherwise, by today's names."""
    kept = signed.shown(job_id, number)
    report = Report.model_validate_json(kept.report) if kept else _report(signed.signed(job_id, number))
    return Response(report.model_dump_json(indent=1), media_type="application/json")


@router.get("/jobs/{job_id}/signed/{number}/since")
@with_connection
def since_signed(job_id: int, number: int) -> tuple[Phrase, ...]:
    """What today's program works out otherwise for a job as it was signed."""
    return signed.since_signed(signed.signed(job_id, number))


@router.get("/jobs/{job_id}/signed/{number}/report.{form}")
@with_connection
def signed_report_file(
    job_id: int, number: int, form: Literal["pdf", "xlsx", "json"], units: UnitSystem | None = None
) -> Response:
    """The same as a file, byte for byte as it was signed; in other units than its site's it is made of the same numbers."""
    kept, found = signed.shown(job_id, number), signed.signed(job_id, number)
    if kept is None:
        return report_response(_report(found), found.assessment, form, units, letterhead_of())
    if form == "json" or units in (None, found.job.site.units):
        content = {"json": kept.report.encode(), "pdf": kept.pdf, "xlsx": kept.sheet}[form]
        return file_response(found.job.machine.name, form, content)
    return report_response(Report.model_validate_json(kept.report), found.assessment, form, units, letterhead_of())


@router.post("/jobs/{job_id}/proof/log", response_model=JobView)
async def take_logger(job_id: int, file: LogConfirmed, request: Request) -> Response:
    """Take the energy of a logger's watts after over into the proof, with the days that it covers."""
    report = await read_apart(file, request)
    return await run_in_threadpool(_take_energy, job_id, file, report)


@with_connection
def _take_energy(job_id: int, file: LogConfirmed, report: LogReport) -> Response:
    command = TakeEnergy(report.year, report.value_column, report.rows)
    return view(jobs.carry_out(job_id, file.revision, command, actor_now(file.who)))


def _report(found: SignedJob) -> Report:
    """The report of what an earlier program signed, which kept no report with it."""
    line = found.line
    who = ", ".join(part for part in (line.who, line.role) if part)
    anew = say("api-proof-report-numbers-worked", program_version=line.program_version) if found.anew else ""
    return build_report(
        found.job,
        found.assessment,
        say("api-proof-report-times-utc", at=Dated(line.at, "dd MMMM y")),
        line.revision,
        f"{who}{anew}",
    )
