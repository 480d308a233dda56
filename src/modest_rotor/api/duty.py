"""The year of a job from a logger's file, or from a template by kind of building."""

from __future__ import annotations

from typing import Any

from fastapi import APIRouter, Request, Response
from fastapi.concurrency import run_in_threadpool
from pydantic import BaseModel, Field

from modest_rotor.api.apart import in_process
from modest_rotor.api.contracts import JobView, Step, Words, view
from modest_rotor.core.changes import next_id, value_at
from modest_rotor.core.errors import ChangeRefused
from modest_rotor.core.phrase import Frozen
from modest_rotor.core.stations.duty import MOST_STEPS, HoursFrom
from modest_rotor.core.tables import read_table
from modest_rotor.formats.logger_csv import LogReport, Order, read_log
from modest_rotor.formats.text import written
from modest_rotor.store import jobs
from modest_rotor.store.database import with_connection

router = APIRouter(prefix="/api", tags=["duty"])

LONGEST_LOG = 8_000_000


class LogIn(BaseModel):
    """A logger's file, with what a person said of it."""

    text: Words = Field(max_length=LONGEST_LOG)
    column: Words | None = Field(default=None, max_length=120)
    order: Order | None = None


class LogConfirmed(LogIn):
    """The same, to be taken over as one step or as one for each load found."""

    revision: str = Field(max_length=40)
    who: Words = Field(default="", max_length=120)
    by_load: bool = False


class TemplateStep(Frozen):
    """One step of a template."""

    name: str
    hours: float
    share: float


class DutyTemplate(Frozen):
    """A year by kind of building."""

    building: str
    steps: tuple[TemplateStep, ...]


class TemplateChosen(Step):
    """A template to be taken over."""

    building: Words = Field(max_length=120)


@router.post("/duty/log/look")
async def look_at_log(file: LogIn, request: Request) -> LogReport:
    """What a logger's file says of a year; nothing is saved."""
    return await read_apart(file, request)


async def read_apart(file: LogIn, request: Request) -> LogReport:
    """Read a logger's file in a process of its own."""
    return await in_process(request, read_log, file.text, file.column, file.order)


@router.post("/jobs/{job_id}/duty/log", response_model=JobView)
async def take_log(job_id: int, file: LogConfirmed, request: Request) -> Response:
    """Take a logger's year over as steps, starts and a sentence, in one change."""
    report = await read_apart(file, request)
    return await run_in_threadpool(_take_year, job_id, file, report)


@with_connection
def _take_year(job_id: int, file: LogConfirmed, report: LogReport) -> Response:
    year = report.year
    stored = jobs.load(job_id)
    duty: dict[str, Any] = value_at(stored.job, "duty")
    levels = year.levels if file.by_load and len(year.levels) > 1 else ()
    told = [(f"logged, load {100 * level.load:.0f} %", level.hours.value) for level in levels]
    for name, hours in told or [("logged, running", year.hours.value)]:
        step = {
            "name": name,
            "hours": f"{hours:.0f} h",
            "hours_from": HoursFrom.LOGGER,
            "hours_spread": f"{max(100 * year.spread, 1.0):.0f} %" if year.spread <= 0.5 else "50 %",
        }
        if not told:
            step["flow_share"] = "100 %"
        _append(duty, step)
    duty["starts"] = f"{year.starts.value:.0f}"
    duty["logged"] = (
        f"{report.value_column}, {year.days:.1f} days, {report.rows} rows: ran {written(year.run_fraction, 'si')} of the time,"
        f" {year.starts_per_hour.value:.1f} starts an hour."
    )
    return _saved(job_id, file.revision, duty, file.who, "the year from a logger")


@router.get("/duty-templates")
def templates() -> tuple[DutyTemplate, ...]:
    """Years by kind of building, invented and marked assumed."""
    rows = read_table("duty_templates")
    buildings = dict.fromkeys(row["building"] for row in rows)
    return tuple(
        DutyTemplate(
            building=building,
            steps=tuple(
                TemplateStep(name=row["step"], hours=float(row["hours"]), share=float(row["share"]))
                for row in rows
                if row["building"] == building
            ),
        )
        for building in buildings
    )


@router.post("/jobs/{job_id}/duty/template", response_model=JobView)
@with_connection
def take_template(job_id: int, chosen: TemplateChosen) -> Response:
    """Take a template's steps over, each marked assumed."""
    rows = [row for row in read_table("duty_templates") if row["building"] == chosen.building]
    if not rows:
        raise ChangeRefused(f"There is no template called “{chosen.building}”.")
    duty: dict[str, Any] = value_at(jobs.load(job_id).job, "duty")
    for row in rows:
        step = {
            "name": row["step"],
            "hours": f"{row['hours']} h",
            "flow_share": f"{100 * float(row['share']):.0f} %",
            "call": row["call"],
            "hours_from": HoursFrom.TEMPLATE,
        }
        _append(duty, step)
    return _saved(job_id, chosen.revision, duty, chosen.who, f"the year of an {chosen.building}, assumed")


def _append(duty: dict[str, Any], step: dict[str, Any]) -> None:
    if len(duty["steps"]) >= MOST_STEPS:
        raise ChangeRefused(f"A year has at most {MOST_STEPS} steps; nothing was taken over. Remove one first.")
    duty["steps"] = [*duty["steps"], {**step, "id": next_id(duty["steps"])}]


def _saved(job_id: int, revision: str, duty: dict[str, Any], who: str, label: str) -> Response:
    saved = jobs.save_change(job_id, revision, "duty", duty, who, label)
    return view(saved)
