"""The year of a job from a logger's file, or from a template by kind of building."""

from __future__ import annotations

from fastapi import APIRouter, Request, Response
from fastapi.concurrency import run_in_threadpool
from pydantic import Field

from modest_rotor.api.apart import in_process
from modest_rotor.api.contracts import JobView, Step, Words, actor_now, view
from modest_rotor.core.commands.year import TakeTemplate, TakeYear
from modest_rotor.core.phrase import Frozen, WithWords
from modest_rotor.core.recognized import meant
from modest_rotor.core.say import Number, say
from modest_rotor.core.tables import read_table
from modest_rotor.formats.logger_csv import LogReport, Order, read_log
from modest_rotor.formats.text import written
from modest_rotor.store import jobs
from modest_rotor.store.database import with_connection

router = APIRouter(prefix="/api", tags=["duty"])

LONGEST_LOG = 8_000_000


class LogIn(WithWords):
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
    told = say(
        "api-duty-take-year",
        value_column=report.value_column,
        days=Number(year.days, ".1f"),
        rows=report.rows,
        written=written(year.run_fraction, "si"),
        starts_per_hour=Number(year.starts_per_hour.value, ".1f"),
    )
    command = TakeYear(year, told, file.by_load)
    return view(jobs.carry_out(job_id, file.revision, command, actor_now(file.who)))


@router.get("/duty-templates")
def templates() -> tuple[DutyTemplate, ...]:
    """Years by kind of building, invented and marked assumed."""
    rows = read_table("duty_templates")
    return tuple(
        DutyTemplate(
            building=building,
            steps=tuple(
                TemplateStep(name=row["step"], hours=float(row["hours"]), share=float(row["share"]))
                for row in rows
                if row["building"] == building
            ),
        )
        for building in _buildings()
    )


@router.post("/jobs/{job_id}/duty/template", response_model=JobView)
@with_connection
def take_template(job_id: int, chosen: TemplateChosen) -> Response:
    """Take a template's steps over, each marked assumed."""
    command = TakeTemplate(meant(chosen.building, _buildings()))
    return view(jobs.carry_out(job_id, chosen.revision, command, actor_now(chosen.who)))


def _buildings() -> tuple[str, ...]:
    return tuple(dict.fromkeys(row["building"] for row in read_table("duty_templates")))
