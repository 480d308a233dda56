"""Photographs kept with their job."""

from __future__ import annotations

from datetime import UTC, datetime
from typing import Literal

from modest_rotor.core.errors import ChangeRefused, UnknownItem
from modest_rotor.core.phrase import Frozen
from modest_rotor.core.say import say
from modest_rotor.formats.photo import Photo
from modest_rotor.store.database import in_one_transaction, transaction
from modest_rotor.store.models import JobRow, PhotoRow

PhotoOf = Literal["plate", "machine"]
MOST_PHOTOS = 40


class KeptPhoto(Frozen):
    """A photograph as it is listed."""

    id: int
    of: PhotoOf
    width: int
    height: int
    who: str
    at: datetime
    removed: bool


def keep_photo(job_id: int, of: PhotoOf, photo: Photo, who: str) -> KeptPhoto:
    """Keep a photograph with a job. :raises ChangeRefused: the job has as many as it may have."""
    with transaction():
        _job(job_id)
        if PhotoRow.select().where(PhotoRow.job == job_id).count() >= MOST_PHOTOS:
            raise ChangeRefused(say("photos-keep-photo", most_photos=MOST_PHOTOS))
        row = PhotoRow.create(
            job=job_id, of=of, jpeg=photo.jpeg, width=photo.width, height=photo.height, who=who, at=datetime.now(UTC)
        )
    return _kept(row)


def photos_of(job_id: int) -> tuple[KeptPhoto, ...]:
    """Every photograph of a job, oldest first, removed ones included."""
    _job(job_id)
    listed = (PhotoRow.id, PhotoRow.of, PhotoRow.width, PhotoRow.height, PhotoRow.who, PhotoRow.at, PhotoRow.removed)
    return tuple(_kept(row) for row in PhotoRow.select(*listed).where(PhotoRow.job == job_id).order_by(PhotoRow.id))


def photo_bytes(job_id: int, photo_id: int) -> bytes:
    """A photograph's JPEG."""
    return bytes(_row(job_id, photo_id).jpeg)


@in_one_transaction
def set_removed(job_id: int, photo_id: int, removed: bool) -> KeptPhoto:
    """Take a photograph away, or put it back."""
    row = _row(job_id, photo_id)
    row.removed = removed
    row.save(only=[PhotoRow.removed])
    return _kept(row)


def _row(job_id: int, photo_id: int) -> PhotoRow:
    row = PhotoRow.get_or_none(PhotoRow.id == photo_id, PhotoRow.job == job_id)
    if row is None:
        raise UnknownItem(say("photos-row", job_id=job_id, photo_id=photo_id))
    return row


def _job(job_id: int) -> None:
    if not JobRow.select().where(JobRow.id == job_id).exists():
        raise UnknownItem(say("photos-job", job_id=job_id))


def _kept(row: PhotoRow) -> KeptPhoto:
    return KeptPhoto.model_validate(
        {name: getattr(row, name) for name in ("id", "of", "width", "height", "who", "at", "removed")}
    )
