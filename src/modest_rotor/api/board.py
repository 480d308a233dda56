"""The Board over HTTP: jobs found, filtered and put in order, put away and brought back, copied, many out and in; sites."""

from __future__ import annotations

from datetime import datetime
from typing import Annotated, Any

from fastapi import APIRouter, Body, Query, Request, Response
from fastapi.concurrency import run_in_threadpool
from pydantic import Field

from modest_rotor.api.apart import in_process
from modest_rotor.api.contracts import LONGEST_NAME, JobView, Words, refuse_sets_of_the_future, view
from modest_rotor.core.copying import CopyOf, copied
from modest_rotor.core.errors import ModestRotorError
from modest_rotor.core.job import LONGEST_CONTACT, Site, Station
from modest_rotor.core.phrase import WithWords
from modest_rotor.core.site import SiteEnergy, site_energy
from modest_rotor.formats.job_archive import ArchivedJob, read_archive, write_archive
from modest_rotor.store import board, jobs, logs, shelves, sites
from modest_rotor.store.database import with_connection

router = APIRouter(prefix="/api", tags=["board"])

RENEWED_AT_A_LOOK = 5
LONGEST_SEARCH = 200
MOST_OUT = 1_000


class ShelfCounts(WithWords):
    """How many jobs lie on each shelf, and the sites that there are."""

    open: int
    archived: int
    bin: int
    sites: list[SiteName]


class SiteName(WithWords):
    """A site by its number and name."""

    id: int
    name: str


class ShelfWanted(WithWords):
    """Where a job shall lie."""

    shelf: board.Shelf


class CopyWanted(WithWords):
    """How a job is copied, and the name of the new machine."""

    how: CopyOf
    machine_name: Words = Field(default="", max_length=LONGEST_NAME)


class TakenJob(WithWords):
    """One file of an archive that was taken in: the job that it became, or why it did not."""

    file: str
    job: int | None = None
    reason: str = ""


class SiteWhose(WithWords):
    """Whose a site is, whom to call, and where it is."""

    customer: Words | None = Field(default=None, max_length=LONGEST_NAME)
    contact: Words | None = Field(default=None, max_length=LONGEST_CONTACT)
    address: Words | None = Field(default=None, max_length=LONGEST_CONTACT)


class SiteView(WithWords):
    """A site as a whole: its jobs, its energy now and with what was chosen, and what is due first."""

    id: int
    site: Site
    jobs: tuple[board.BoardJob, ...]
    energy: SiteEnergy
    due: datetime | None


@router.get("/board")
@with_connection
def look(
    response: Response,
    page: Annotated[int, Query(ge=1, le=100_000)] = 1,
    find: Annotated[Words, Query(max_length=LONGEST_SEARCH)] = "",
    site: Annotated[int | None, Query(ge=1, le=2**62)] = None,
    stands_at: Station | None = None,
    only: board.Only | None = None,
    shelf: board.Shelf = board.Shelf.OPEN,
    order: board.Order = board.Order.SITE,
    job: Annotated[list[int] | None, Query(max_length=20)] = None,
) -> tuple[board.BoardSite, ...]:
    """A page of the jobs that answer to what is asked, each told in one line; a machine whose log drifts says so.

    The header ``x-total-count`` says how many there are, ``x-page-size`` how many stand on a page.
    """
    for machine in logs.stale_machines(RENEWED_AT_A_LOOK):
        logs.keep_told(machine)
    ask = board.BoardAsk(find, site, stands_at, only, shelf, order, tuple(job or ()))
    response.headers["x-total-count"] = str(board.count_jobs(ask))
    response.headers["x-page-size"] = str(board.PAGE)
    return board.all_jobs_by_site(page, board.PAGE, ask)


@router.get("/shelves")
@with_connection
def shelf_counts() -> ShelfCounts:
    """How many jobs lie on each shelf, and the sites there are."""
    counts = board.count_shelves()
    return ShelfCounts(
        open=counts[board.Shelf.OPEN],
        archived=counts[board.Shelf.ARCHIVED],
        bin=counts[board.Shelf.BIN],
        sites=[SiteName(id=number, name=name) for number, name in sites.names()],
    )


@router.post("/jobs/{job_id}/shelf")
@with_connection
def put_on(job_id: int, wanted: ShelfWanted) -> ShelfWanted:
    """Put a job away, throw it away for thirty days, or bring it back; gives back where it lies now."""
    shelves.put_on(job_id, wanted.shelf)
    return wanted


@router.post("/jobs/{job_id}/copies", status_code=201, response_model=JobView)
@with_connection
def copy(job_id: int, wanted: CopyWanted) -> Response:
    """A new job from this one, without what was signed, approved or answered for; see :class:`CopyOf`."""
    stored = jobs.load(job_id)
    job = copied(stored.job, wanted.how, wanted.machine_name)
    beside = stored.machine_id if wanted.how is CopyOf.SECOND_PLAN and job.machine == stored.job.machine else None
    return view(jobs.keep_job(job, machine_id=beside), 201)


@router.get("/archive")
@with_connection
def jobs_out(job: Annotated[list[int] | None, Query(max_length=MOST_OUT)] = None) -> Response:
    """Jobs as one archive of job files: those that are named, or all that are open."""
    numbers = job or board.open_jobs(MOST_OUT)
    data = write_archive(tuple(jobs.load(number).job for number in numbers))
    headers = {"content-disposition": 'attachment; filename="jobs.zip"'}
    return Response(data, media_type="application/zip", headers=headers)


@router.post("/archive", status_code=201)
async def jobs_in(
    request: Request, data: Annotated[bytes, Body(media_type="application/octet-stream")]
) -> list[TakenJob]:
    """Take in every good job of an archive as a new one; one that cannot be taken says why and stops no other."""
    return await run_in_threadpool(_take_all, await in_process(request, read_archive, data))


@with_connection
def _take_all(found: tuple[ArchivedJob, ...]) -> list[TakenJob]:
    return [_take(one) for one in found]


def _take(one: ArchivedJob) -> TakenJob:
    if one.job is None:
        return TakenJob(file=one.file, reason=one.reason)
    try:
        refuse_sets_of_the_future(one.job)
        return TakenJob(file=one.file, job=jobs.keep_job(one.job).id)
    except ModestRotorError as refusal:
        return TakenJob(file=one.file, reason=str(refusal))


@router.get("/sites/{site_id}")
@with_connection
def site_page(site_id: int) -> SiteView:
    """A site with its jobs, its energy and what is due there."""
    return _site(site_id)


@router.put("/sites/{site_id}")
@with_connection
def say_whose(site_id: int, said: SiteWhose) -> SiteView:
    """Say whose a site is, whom to call and where it is."""
    told: dict[str, Any] = {name: (value or "").strip() or None for name, value in said.model_dump().items()}
    sites.say_whose(site_id, **told)
    return _site(site_id)


def _newest_of_each_machine(lines: tuple[board.BoardJob, ...]) -> tuple[board.BoardJob, ...]:
    """One job for each machine: a second plan does not make a second machine. The last saved that is decided, else the last saved."""
    found: dict[int, board.BoardJob] = {}
    for job in sorted(lines, key=lambda one: (one.line.energy_after is not None, one.saved)):
        found[job.machine_id] = job
    return tuple(found.values())


def _site(site_id: int) -> SiteView:
    site = sites.site(site_id)
    found = board.all_jobs_by_site(1, MOST_OUT, board.BoardAsk(site=site_id))
    lines = tuple(job for one in found for job in one.jobs)
    pairs = tuple((job.line.energy_now, job.line.energy_after) for job in _newest_of_each_machine(lines))
    due = min((job.due for job in lines if job.due is not None), default=None)
    return SiteView(id=site_id, site=site, jobs=lines, energy=site_energy(pairs), due=due)
