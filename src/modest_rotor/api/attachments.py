"""What is attached to a job: photographs, sets as CSV, and the meters of whoever measures."""

from __future__ import annotations

from typing import Annotated, Any

from fastapi import APIRouter, Body, Query, Response
from pydantic import BaseModel, Field

from modest_rotor.api.contracts import LONGEST_NAME, JobView, Words, latest_time, view
from modest_rotor.core.changes import next_id, value_at
from modest_rotor.core.job import MOST_SETS
from modest_rotor.core.quantities import UnitSystem
from modest_rotor.core.stations.meters import Meters
from modest_rotor.formats.photo import clean_photo
from modest_rotor.formats.readings_csv import CsvProposal, CsvRefused, propose, write_sets
from modest_rotor.store import jobs, people, photos
from modest_rotor.store.database import with_connection
from modest_rotor.store.fits import assess_job

router = APIRouter(prefix="/api", tags=["attachments"])


class CsvIn(BaseModel):
    """A CSV file with what a person said of its columns."""

    text: str = Field(max_length=900_000)
    mapping: dict[str, str] = {}
    units_of: dict[str, str] = {}
    units: UnitSystem = "si"


class CsvConfirmed(CsvIn):
    """The same, confirmed."""

    revision: str = Field(max_length=40)
    who: Words = Field(default="", max_length=LONGEST_NAME)


class MetersIn(BaseModel):
    """The meters in somebody's bag."""

    meters: Meters


class Removed(BaseModel):
    """Whether a photograph is taken away."""

    removed: bool


@router.get("/jobs/{job_id}/photos")
@with_connection
def photographs(job_id: int) -> tuple[photos.KeptPhoto, ...]:
    """Every photograph of a job."""
    return photos.photos_of(job_id)


@router.post("/jobs/{job_id}/photos", status_code=201)
@with_connection
def attach(
    job_id: int,
    data: Annotated[bytes, Body(media_type="application/octet-stream")],
    of: photos.PhotoOf = "plate",
    who: Annotated[Words, Query(max_length=LONGEST_NAME)] = "",
) -> photos.KeptPhoto:
    """Attach a photograph: its content is looked into, and written anew without place and time."""
    return photos.keep_photo(job_id, of, clean_photo(data), who)


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
def sets_out(job_id: int) -> Response:
    """All sets as CSV."""
    text = write_sets(jobs.load(job_id).job.document.readings)
    headers = {"content-disposition": 'attachment; filename="readings.csv"'}
    return Response("\ufeff" + text, media_type="text/csv; charset=utf-8", headers=headers)


@router.post("/jobs/{job_id}/readings-csv/look")
@with_connection
def look_at_sets(job_id: int, file: CsvIn) -> CsvProposal:
    """What a CSV file would bring in; nothing is saved."""
    return _proposal(file, jobs.load(job_id))


@router.post("/jobs/{job_id}/readings-csv")
@with_connection
def sets_in(job_id: int, file: CsvConfirmed) -> JobView:
    """Take in the good rows of a CSV file as sets, in one change that one undo takes back."""
    stored = jobs.load(job_id)
    proposal = _proposal(file, stored)
    if not proposal.sets:
        raise CsvRefused("No row can be taken in; the reasons stand beside each.")
    after: list[dict[str, Any]] = value_at(stored.job, "readings")
    for one in proposal.sets:
        after = [*after, {**one, "id": next_id(after)}]
    count = len(proposal.sets)
    label = f"{count} set{'s' if count > 1 else ''} from CSV"
    saved = jobs.save_change(job_id, file.revision, "readings", after, file.who, label)
    return view(saved, assess_job(saved.job))


@router.get("/people/{name}/meters")
@with_connection
def meters(name: str) -> Meters:
    """The meters that a person set once."""
    return people.meters_of(name)


@router.put("/people/{name}/meters")
@with_connection
def keep_meters(name: str, bag: MetersIn) -> Meters:
    """Keep a person's meters."""
    return people.keep_meters(name, bag.meters)


def _proposal(file: CsvIn, stored: jobs.StoredJob) -> CsvProposal:
    room = MOST_SETS - len(stored.job.document.readings)
    return propose(file.text.lstrip("\ufeff"), file.mapping, file.units_of, file.units, room, latest_time())
