"""Jobs as they are kept: read, begun, changed, undone. Every write is one named change in one transaction."""

from __future__ import annotations

import hashlib
from collections.abc import Iterable
from dataclasses import dataclass
from datetime import UTC, datetime
from functools import cache
from pathlib import Path
from typing import Any

import modest_rotor.core
from modest_rotor import __version__
from modest_rotor.core.assessment import BoardLine
from modest_rotor.core.changes import label_of, value_at, with_change
from modest_rotor.core.errors import ChangeRefused, Conflict, UnknownItem
from modest_rotor.core.job import Job, JobDocument, Machine, Site
from modest_rotor.core.phrase import Frozen, Phrase
from modest_rotor.core.quantities import UnitSystem
from modest_rotor.store.database import database
from modest_rotor.store.fits import assess_job
from modest_rotor.store.models import ChangeRow, JobRow, MachineRow, SiteRow

EDIT, UNDO, REDO = "edit", "undo", "redo"


@dataclass(frozen=True)
class StoredJob:
    """A job with its place in the database."""

    id: int
    site_id: int
    machine_id: int
    revision: str
    job: Job
    saved: datetime
    undo_label: str | None
    redo_label: str | None


class BoardJob(Frozen):
    """A job as the Board shows it."""

    id: int
    machine_id: int
    machine: str
    place: str | None
    line: BoardLine
    drifts: Phrase = ()
    saved: datetime


class BoardSite(Frozen):
    """A site with its jobs."""

    id: int
    site: Site
    jobs: tuple[BoardJob, ...]


def load(job_id: int) -> StoredJob:
    """A job by its number."""
    return _stored(_row(job_id))


def job_of(job_id: int) -> Job:
    """A job alone, without what could be taken back in it: for looking at drafts, which happens at every key."""
    return _job(_row(job_id))


def all_jobs_by_site() -> tuple[BoardSite, ...]:
    """Every site with its jobs, each told in one line."""
    sites = SiteRow.select().order_by(SiteRow.id)
    rows = list(JobRow.select(JobRow, MachineRow, SiteRow).join(MachineRow).join(SiteRow).order_by(JobRow.id))
    return tuple(
        BoardSite(
            id=site.id, site=_site(site), jobs=tuple(_board_job(row) for row in rows if row.machine.site.id == site.id)
        )
        for site in sites
    )


def begin_job(machine_name: str, site_name: str, units: UnitSystem = "si", currency: str | None = None) -> StoredJob:
    """Begin a job with nothing but a machine's name; the site is found by its name, or made."""
    site = Site(name=site_name, units=units, currency=currency)
    return keep_job(Job(site=site, machine=Machine(name=machine_name)))


def keep_job(job: Job) -> StoredJob:
    """Keep a whole job as a new one on a machine of its own; its site is found by name, or made."""
    now = datetime.now(UTC)
    with database.atomic():
        site, _ = SiteRow.get_or_create(  # type: ignore[no-untyped-call]
            name=job.site.name, defaults={"units": job.site.units, "currency": job.site.currency}
        )
        machine = MachineRow.create(site=site, document=job.machine.model_dump(mode="json"))
        row = JobRow.create(machine=machine, document=job.document.model_dump(mode="json"), began=now, saved=now)
        return _stored(row)


def save_change(
    job_id: int, revision: str, path: str, after: Any, who: str = "", label: str | None = None
) -> StoredJob:
    """Save one edit made on the job as it stood at ``revision``.

    :raises Conflict: the job has moved on; nothing is saved.
    :raises ChangeRefused: the edit does not fit; nothing is saved.
    """
    with database.atomic():
        row = _locked(job_id, revision)
        job = _job(row)
        changed = with_change(job, path, after)
        before, kept = value_at(job, path), value_at(changed, path)
        if before == kept:
            return _stored(row)
        _write(
            row,
            changed,
            ChangeRow(path=path, label=label or label_of(job, path), before=before, after=kept, who=who, kind=EDIT),
        )
        return _stored(row)


def undo(job_id: int, revision: str, who: str = "") -> StoredJob:
    """Take back the newest edit that still stands, as a change of its own."""
    return _step_back(job_id, revision, who, UNDO)


def redo(job_id: int, revision: str, who: str = "") -> StoredJob:
    """Put back the edit that was last taken back, as a change of its own."""
    return _step_back(job_id, revision, who, REDO)


def changes_of(job_id: int) -> tuple[ChangeRow, ...]:
    """Every change of a job, oldest first."""
    _row(job_id)
    return tuple(ChangeRow.select().where(ChangeRow.job == job_id).order_by(ChangeRow.id))


def undo_and_redo(changes: Iterable[ChangeRow]) -> tuple[list[ChangeRow], list[ChangeRow]]:
    """The edits that can be taken back and those that can be put back, newest last, by replaying the changes."""
    done: list[ChangeRow] = []
    undone: list[ChangeRow] = []
    for change in changes:
        if change.kind == UNDO:
            undone.append(done.pop())
        elif change.kind == REDO:
            done.append(undone.pop())
        else:
            done.append(change)
            undone.clear()
    return done, undone


def _step_back(job_id: int, revision: str, who: str, kind: str) -> StoredJob:
    with database.atomic():
        row = _locked(job_id, revision)
        done, undone = undo_and_redo(changes_of(job_id))
        stack = done if kind == UNDO else undone
        if not stack:
            raise ChangeRefused(f"There is nothing to {kind} in this job.")
        target = stack[-1]
        expected, wanted = (target.after, target.before) if kind == UNDO else (target.before, target.after)
        job = _job(row)
        if value_at(job, target.path) != expected:
            raise ChangeRefused(
                f"“{target.label}” was changed from another job of this machine since; it cannot be taken back from here."
            )
        change = ChangeRow(
            path=target.path, label=target.label, before=expected, after=wanted, who=who, kind=kind, undoes=target
        )
        _write(row, with_change(job, target.path, wanted), change)
        return _stored(row)


def _write(row: JobRow, job: Job, change: ChangeRow) -> None:
    row.revision += 1
    row.saved = datetime.now(UTC)
    row.document = job.document.model_dump(mode="json")
    row.save(only=[JobRow.revision, JobRow.saved, JobRow.document])
    if change.path.startswith("machine/"):
        row.machine.revision += 1
        row.machine.document = job.machine.model_dump(mode="json")
        row.machine.save(only=[MachineRow.revision, MachineRow.document])
    change.job, change.at, change.revision = row, row.saved, row.revision
    change.save(force_insert=True)


def _locked(job_id: int, revision: str) -> JobRow:
    row = _row(job_id, lock=True)
    if _revision(row) != revision:
        newest = ChangeRow.select().where(ChangeRow.job == job_id).order_by(ChangeRow.id.desc()).first()
        what = f"“{newest.label}” was changed at {newest.at:%H:%M:%S} UTC" if newest else "it was changed"
        raise Conflict(
            f"This window is out of date: {what}, in another window. Nothing was overwritten, and what you typed is kept here."
        )
    return row


def _row(job_id: int, lock: bool = False) -> JobRow:
    query = JobRow.select(JobRow, MachineRow, SiteRow).join(MachineRow).join(SiteRow).where(JobRow.id == job_id)
    row = (query.for_update(of=(JobRow, MachineRow)) if lock else query).first()
    if row is None:
        raise UnknownItem(f"There is no job {job_id}.")
    return row  # type: ignore[no-any-return]


def _stored(row: JobRow) -> StoredJob:
    done, undone = undo_and_redo(changes_of(row.id))
    return StoredJob(
        id=row.id,
        site_id=row.machine.site.id,
        machine_id=row.machine.id,
        revision=_revision(row),
        job=_job(row),
        saved=row.saved,
        undo_label=done[-1].label if done else None,
        redo_label=undone[-1].label if undone else None,
    )


@cache
def core_fingerprint() -> str:
    """A short name of the core as it is installed, so that no line worked out by an older one is shown."""
    files = sorted(
        path for path in Path(modest_rotor.core.__file__).parent.rglob("*") if path.suffix in (".py", ".csv")
    )
    return hashlib.sha256(b"".join(path.read_bytes() for path in files)).hexdigest()[:16]


def _revision(row: JobRow) -> str:
    return f"{row.revision}.{row.machine.revision}"


def _job(row: JobRow) -> Job:
    return Job(
        site=_site(row.machine.site),
        machine=Machine.model_validate(row.machine.document),
        document=JobDocument.model_validate(row.document),
    )


def _site(row: SiteRow) -> Site:
    return Site(name=row.name, units=row.units, currency=row.currency)


def _board_job(row: JobRow) -> BoardJob:
    job = _job(row)
    key = f"{_revision(row)} {__version__} {core_fingerprint()}"
    if row.summary_key != key:
        line = assess_job(job).board
        # The cache is only worth keeping if the job has not moved on meanwhile.
        JobRow.update(summary=line.model_dump(mode="json"), summary_key=key).where(
            JobRow.id == row.id, JobRow.revision == row.revision
        ).execute()
    else:
        line = BoardLine.model_validate(row.summary)
    return BoardJob(
        id=row.id,
        machine_id=row.machine.id,
        machine=job.machine.name,
        place=job.machine.place,
        line=line,
        saved=row.saved,
    )
