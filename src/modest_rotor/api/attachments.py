"""What is attached to a job: photographs, sets as CSV, and the meters of whoever measures."""

from __future__ import annotations

from threading import BoundedSemaphore
from typing import Annotated

from fastapi import APIRouter, Body, Path, Query, Request, Response
from fastapi.concurrency import run_in_threadpool
from pydantic import Field

from modest_rotor.api.apart import in_process
from modest_rotor.api.contracts import LONGEST_NAME, JobView, Words, ZoneName, actor_now, latest_time, view
from modest_rotor.core.commands.fields import TakeSets
from modest_rotor.core.job import MOST_SETS, Job
from modest_rotor.core.phrase import WithWords
from modest_rotor.core.quantities import UnitSystem
from modest_rotor.core.stations.meters import Meters
from modest_rotor.formats.clock import LONGEST_ZONE, on_clock_of, zone_of
from modest_rotor.formats.photo import clean_photo
from modest_rotor.formats.readings_csv import CsvProposal, propose, write_sets
from modest_rotor.store import jobs, people, photos
from modest_rotor.store.database import with_connection

router = APIRouter(prefix="/api", tags=["attachments"])
PHOTO_MEMORY = 1_000_000_000
ONE_PICTURE = BoundedSemaphore(1)
"""Pictures are looked into one at a time: each may take a few hundred megabytes."""


Person = Annotated[Words, Path(min_length=1, max_length=LONGEST_NAME)]


class CsvIn(WithWords):
    """A CSV file with what a person said of its columns."""

    text: str = Field(max_length=900_000)
    mapping: dict[str, str] = Field(default_factory=dict)
    units_of: dict[str, str] = Field(default_factory=dict)
    units: UnitSystem = "si"
    zone: str = Field(default="", max_length=LONGEST_ZONE, description="time zone of the times in it; UTC for none")


class CsvConfirmed(CsvIn):
    """The same, confirmed."""

    revision: str = Field(max_length=40)
    who: Words = Field(default="", max_length=LONGEST_NAME)


class MetersIn(WithWords):
    """The meters in somebody's bag."""

    meters: Meters


class Removed(WithWords):
    """Whether a photograph is taken away."""

    removed: bool


@router.get("/jobs/{job_id}/photos")
@with_connection
def photographs(job_id: int) -> tuple[photos.KeptPhoto, ...]:
    """Every photograph of a job."""
    return photos.photos_of(job_id)


@router.post("/jobs/{job_id}/photos", status_code=201)
async def attach(
    job_id: int,
    request: Request,
    data: Annotated[bytes, Body(media_type="application/octet-stream")],
    of: photos.PhotoOf = "plate",
    who: Annotated[Words, Query(max_length=LONGEST_NAME)] = "",
) -> photos.KeptPhoto:
    """Attach a photograph: its content is looked into, and written anew without place and time."""
    photo = await in_process(request, clean_photo, data, memory=PHOTO_MEMORY, at_once=ONE_PICTURE)
    return await run_in_threadpool(with_connection(photos.keep_photo), job_id, of, photo, who)


@router.get("/jobs/{job_id}/photos/{photo_id}")
@with_connection
def photograph(job_id: int, photo_id: int) -> Response:
    """A photograph as JPEG."""
    return Response(photos.photo_bytes(job_id, photo_id), media_type="image/jpeg")


@router.post("/jobs/{job_id}/photos/{photo_id}/removed")
@with_connection
def remove_photo(job_id: int, photo_id: int, wanted: Removed) -> photos.KeptPhoto:
    """Take a photograph away, or put it back."""
    return photos.set_removed(job_id, photo_id, wanted.removed)


@router.get("/jobs/{job_id}/readings.csv")
@with_connection
def sets_out(job_id: int, zone: ZoneName = "") -> Response:
    """All sets as CSV, their times on the reader's clock."""
    clock = zone_of(zone)
    text = write_sets(tuple(on_clock_of(clock, one) for one in jobs.load(job_id).job.document.readings))
    headers = {"content-disposition": 'attachment; filename="readings.csv"'}
    return Response("\ufeff" + text, media_type="text/csv; charset=utf-8", headers=headers)


@router.post("/jobs/{job_id}/readings-csv/look")
async def look_at_sets(job_id: int, file: CsvIn, request: Request) -> CsvProposal:
    """What a CSV file would bring in; nothing is saved."""
    return await _proposal(file, await run_in_threadpool(with_connection(jobs.job_of), job_id), request)


@router.post("/jobs/{job_id}/readings-csv", response_model=JobView)
async def sets_in(job_id: int, file: CsvConfirmed, request: Request) -> Response:
    """Take in the good rows of a CSV file as sets, in one change that one undo takes back."""
    job = await run_in_threadpool(with_connection(jobs.job_of), job_id)
    return await run_in_threadpool(_take_sets, job_id, file, await _proposal(file, job, request))


@with_connection
def _take_sets(job_id: int, file: CsvConfirmed, proposal: CsvProposal) -> Response:
    return view(jobs.carry_out(job_id, file.revision, TakeSets(tuple(proposal.sets)), actor_now(file.who)))


@router.get("/people/{name}/meters")
@with_connection
def meters(name: Person) -> Meters:
    """The meters that a person set once."""
    return people.meters_of(name)


@router.put("/people/{name}/meters")
@with_connection
def keep_meters(name: Person, bag: MetersIn) -> Meters:
    """Keep a person's meters."""
    return people.keep_meters(name, bag.meters)


async def _proposal(file: CsvIn, job: Job, request: Request) -> CsvProposal:
    room = MOST_SETS - len(job.document.readings)
    text = file.text.lstrip("\ufeff")
    return await in_process(
        request, propose, text, file.mapping, file.units_of, file.units, room, latest_time(), file.zone
    )
