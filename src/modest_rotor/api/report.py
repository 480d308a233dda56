"""The customer's report over HTTP: as data, PDF, spreadsheet."""

from __future__ import annotations

import re
from dataclasses import replace
from datetime import datetime, tzinfo
from typing import Annotated, Literal

from fastapi import APIRouter, Body, Request, Response
from fastapi.concurrency import run_in_threadpool
from pydantic import Field

from modest_rotor.api.apart import in_process
from modest_rotor.api.attachments import ONE_PICTURE, PHOTO_MEMORY
from modest_rotor.api.contracts import LONGEST_NAME, Words, ZoneName
from modest_rotor.core.assessment import Assessment
from modest_rotor.core.job import LONGEST_CONTACT
from modest_rotor.core.phrase import WithWords
from modest_rotor.core.quantities import UnitSystem
from modest_rotor.core.report import Report, build_report
from modest_rotor.core.say import Dated, say
from modest_rotor.formats.clock import on_clock_of, zone_of
from modest_rotor.formats.photo import clean_photo
from modest_rotor.formats.report_page_one import MOST_PHOTOS, Dressing
from modest_rotor.formats.report_pdf import write_pdf
from modest_rotor.formats.report_sheet import write_xlsx
from modest_rotor.store import firm, jobs, photos
from modest_rotor.store.database import with_connection
from modest_rotor.store.fits import assess_job

router = APIRouter(prefix="/api", tags=["report"])


class FirmIn(WithWords):
    """Who makes the report."""

    name: Words = Field(default="", max_length=LONGEST_NAME)
    address: Words = Field(default="", max_length=LONGEST_CONTACT)


KINDS = {
    "pdf": "application/pdf",
    "xlsx": "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
    "json": "application/json",
}


@router.get("/jobs/{job_id}/report")
@with_connection
def report_of(job_id: int, zone: ZoneName = "") -> Report:
    """The report as data, for the print view; its times on the reader's clock."""
    return _report(jobs.load(job_id), zone_of(zone))[0]


@router.get("/jobs/{job_id}/report.{form}")
@with_connection
def report_file(
    job_id: int, form: Literal["pdf", "xlsx", "json"], units: UnitSystem | None = None, zone: ZoneName = ""
) -> Response:
    """The report as a file, in the reader's units or else the site's, its times on the reader's clock."""
    report, assessment = _report(jobs.load(job_id), zone_of(zone))
    return report_response(report, assessment, form, units, dressing_of(job_id))


def report_response(
    report: Report,
    assessment: Assessment,
    form: Literal["pdf", "xlsx", "json"],
    units: UnitSystem | None,
    dressing: Dressing,
) -> Response:
    """A report as a file that is taken out, in the units asked for or else the customer's."""
    if form == "json":
        content = report.model_dump_json(indent=1).encode()
    else:
        said = units or report.units
        content = (
            write_pdf(report, said, dressing) if form == "pdf" else write_xlsx(report, assessment.options.options, said)
        )
    return file_response(report.title, form, content)


def file_response(title: str, form: str, content: bytes) -> Response:
    """A report's file, named after its machine."""
    name = re.sub(r"[^a-z0-9]+", "-", title.lower()).strip("-") or "report"
    headers = {"content-disposition": f'attachment; filename="{name}-report.{form}"'}
    return Response(content, media_type=KINDS[form], headers=headers)


def letterhead_of() -> Dressing:
    """The firm and its mark; without photographs, of which what was signed off says nothing."""
    said = firm.firm()
    return Dressing(said.name, said.address, firm.mark())


def dressing_of(job_id: int) -> Dressing:
    """The same with the newest photographs of a job's machine, the plate's first."""
    kept = [one for one in photos.photos_of(job_id) if not one.removed]
    shown = sorted(kept, key=lambda one: (one.of != "plate", -one.id))[:MOST_PHOTOS]
    pictures = tuple(photos.photo_bytes(job_id, one.id) for one in shown)
    return replace(letterhead_of(), photos=pictures)


@router.get("/firm")
@with_connection
def read_firm() -> firm.Firm:
    """In whose name reports are made."""
    return firm.firm()


@router.put("/firm")
@with_connection
def say_firm(said: FirmIn) -> firm.Firm:
    """Say in whose name reports are made."""
    return firm.say_firm(said.name.strip(), said.address.strip())


@router.post("/firm/mark")
async def keep_mark(request: Request, data: Annotated[bytes, Body(media_type="application/octet-stream")]) -> firm.Firm:
    """Keep the firm's mark: an image, which is looked into and written anew."""
    photo = await in_process(request, clean_photo, data, memory=PHOTO_MEMORY, at_once=ONE_PICTURE)
    return await run_in_threadpool(with_connection(firm.keep_mark), photo)


@router.get("/firm/mark")
@with_connection
def read_mark() -> Response:
    """The firm's mark as JPEG."""
    return Response(firm.mark_or_refuse(), media_type="image/jpeg")


@router.delete("/firm/mark")
@with_connection
def take_mark_away() -> firm.Firm:
    """Take the firm's mark away."""
    return firm.keep_mark(None)


def _report(stored: jobs.StoredJob, zone: tzinfo) -> tuple[Report, Assessment]:
    assessment = assess_job(stored.job)
    today = say("text", text=Dated(datetime.now(zone), "dd MMMM y"))
    return build_report(on_clock_of(zone, stored.job), assessment, today, stored.revision), assessment
