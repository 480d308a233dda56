"""The customer's report over HTTP: as data, PDF, spreadsheet."""

from __future__ import annotations

import re
from datetime import UTC, datetime
from typing import Literal

from fastapi import APIRouter, Response

from modest_rotor.core.assessment import Assessment
from modest_rotor.core.quantities import UnitSystem
from modest_rotor.core.report import Report, build_report
from modest_rotor.formats.report_pdf import write_pdf
from modest_rotor.formats.report_sheet import write_xlsx
from modest_rotor.store import jobs
from modest_rotor.store.database import with_connection
from modest_rotor.store.fits import assess_job

router = APIRouter(prefix="/api", tags=["report"])

KINDS = {
    "pdf": "application/pdf",
    "xlsx": "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
    "json": "application/json",
}


@router.get("/jobs/{job_id}/report")
@with_connection
def report_of(job_id: int) -> Report:
    """The report as data, for the print view."""
    return _report(jobs.load(job_id))[0]


@router.get("/jobs/{job_id}/report.{form}")
@with_connection
def report_file(job_id: int, form: Literal["pdf", "xlsx", "json"], units: UnitSystem | None = None) -> Response:
    """The report as a file, in the reader's units or else the site's."""
    report, assessment = _report(jobs.load(job_id))
    return report_response(report, assessment, form, units)


def report_response(
    report: Report, assessment: Assessment, form: Literal["pdf", "xlsx", "json"], units: UnitSystem | None
) -> Response:
    """A report as a file that is taken out."""
    if form == "json":
        content = report.model_dump_json(indent=1).encode()
    else:
        said = units or report.units
        content = write_pdf(report, said) if form == "pdf" else write_xlsx(report, assessment.options.options, said)
    name = re.sub(r"[^a-z0-9]+", "-", report.title.lower()).strip("-") or "report"
    headers = {"content-disposition": f'attachment; filename="{name}-report.{form}"'}
    return Response(content, media_type=KINDS[form], headers=headers)


def _report(stored: jobs.StoredJob) -> tuple[Report, Assessment]:
    assessment = assess_job(stored.job)
    return build_report(stored.job, assessment, f"{datetime.now(UTC):%d %B %Y}", stored.revision), assessment
