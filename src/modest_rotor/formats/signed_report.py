"""What was signed, as it is shown: the report as data, as PDF and as a spreadsheet, made once and kept byte for byte."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import datetime, tzinfo

from modest_rotor.core.assessment import Assessment
from modest_rotor.core.job import Job
from modest_rotor.core.report import build_report
from modest_rotor.core.say import Dated, say, words_for
from modest_rotor.formats.clock import on_clock_of
from modest_rotor.formats.report_page_one import Dressing
from modest_rotor.formats.report_pdf import write_pdf
from modest_rotor.formats.report_sheet import write_xlsx


@dataclass(frozen=True)
class AsShown:
    """A signed report: its data as JSON text, its PDF and its spreadsheet, both in the units of the site."""

    report: str
    pdf: bytes
    sheet: bytes


def as_shown(
    job: Job, assessment: Assessment, revision: str, who: str, at: datetime, zone: tzinfo, dressing: Dressing
) -> AsShown:
    """What is shown of a job that is signed.

    :param who: who signs, with their role. :param at: when, aware of its zone. :param zone: on whose clock its times are told; it is
        named beside the date.
    """
    day = words_for(say("signed-report-as-shown", astimezone=Dated(at.astimezone(zone), "dd MMMM y"), zone=zone))
    report = build_report(on_clock_of(zone, job), assessment, day, revision, signed=who)
    units = report.units
    sheet = write_xlsx(report, assessment.options.options, units)
    return AsShown(report.model_dump_json(indent=1), write_pdf(report, units, dressing), sheet)
