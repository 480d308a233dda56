"""Jobs as they are kept: read, begun, changed, undone. Every write is one named change in one transaction."""

from __future__ import annotations

import hashlib
import json
import time
from concurrent.futures import Future
from dataclasses import dataclass
from datetime import UTC, datetime
from functools import cache
from pathlib import Path
from threading import Lock
from typing import Any

from cachetools import LRUCache
from pydantic import ValidationError

import modest_rotor.core
from modest_rotor import __version__
from modest_rotor.core.assessment import BoardLine
from modest_rotor.core.changes import label_of, value_at, with_change
from modest_rotor.core.errors import ChangeRefused, Conflict, UnknownItem
from modest_rotor.core.job import Job, JobDocument, Machine, Site, Station
from modest_rotor.core.phrase import Frozen, Phrase
from modest_rotor.core.quantities import UnitSystem
from modest_rotor.store.database import database, forgets_on_connect, transaction
from modest_rotor.store.fits import Assessed, assessed_job
from modest_rotor.store.models import ChangeRow, JobRow, MachineRow, SiteRow
from modest_rotor.store.saving import made
from modest_rotor.workers.process import TookTooLong
from modest_rotor.workers.solvers import LONGEST_S, Level

EDIT, UNDO, REDO = "edit", "undo", "redo"
PAGE = 100
"""Jobs on one page of the Board."""
RENEW_FOR_S = 0.15
"""How long a look at the Board may take to renew lines that an older program, or another job of the machine, left behind."""
MOST_KEPT = 64


@dataclass(frozen=True)
class _ReadJob:
    """A job as it was read, beside what it was read from."""

    written: tuple[Any, Any]
    job: Job


_jobs: LRUCache[tuple[int, str], _ReadJob] = LRUCache(4 * MOST_KEPT)
_assessed: LRUCache[tuple[int, str], Assessed] = LRUCache(MOST_KEPT)
"""Jobs and what follows from them, by number and revision: both are frozen, and another revision has another name."""
_being_assessed: dict[tuple[int, str], Future[Assessed]] = {}
"""Those that somebody has worked out at this moment: whoever asks for the same waits for it."""
_lock = Lock()


@forgets_on_connect
def forget_kept() -> None:
    """Forget what is kept of jobs: the same numbers mean others in another database."""
    with _lock:
        _jobs.clear()
        _assessed.clear()


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
    fresh: bool = True


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
    revision = database.execute_sql(
        "SELECT j.revision || '.' || m.revision FROM job j JOIN machine m ON m.id = j.machine_id WHERE j.id = %s",
        (job_id,),
    ).fetchone()
    with _lock:
        known = _jobs.get((job_id, revision[0])) if revision else None
    return known.job if known is not None else _job(_row(job_id))


def all_jobs_by_site(page: int = 1, size: int = PAGE) -> tuple[BoardSite, ...]:
    """A page of the sites with their jobs, each told in one line, by one query and what is kept of each job."""
    rows = database.execute_sql(BOARD_SQL, (size, (page - 1) * size)).fetchall()
    until = time.monotonic() + RENEW_FOR_S
    sites: dict[int, tuple[Site, list[BoardJob]]] = {}
    for site_id, name, units, currency, *job in rows:
        if site_id not in sites:
            sites[site_id] = (Site(name=name, units=units, currency=currency), [])
        sites[site_id][1].append(_board_job(BoardRow(*job), until))
    return tuple(BoardSite(id=number, site=site, jobs=tuple(lines)) for number, (site, lines) in sites.items())


def count_jobs() -> int:
    """How many jobs there are."""
    return int(JobRow.select().count())


def machines_for_the_bench(most: int = 500) -> tuple[tuple[int, str, str], ...]:
    """Number, machine and site of the newest jobs."""
    cursor = database.execute_sql(
        "SELECT j.id, m.document->>'name', s.name FROM job j JOIN machine m ON m.id = j.machine_id JOIN site s ON s.id ="
        " m.site_id ORDER BY j.id LIMIT %s",
        (most,),
    )
    return tuple(cursor.fetchall())


def begin_job(machine_name: str, site_name: str, units: UnitSystem = "si", currency: str | None = None) -> StoredJob:
    """Begin a job with nothing but a machine's name; the site is found by its name, or made."""
    site = Site(name=site_name, units=units, currency=currency)
    return keep_job(Job(site=site, machine=Machine(name=machine_name)))


def keep_job(job: Job) -> StoredJob:
    """Keep a whole job as a new one on a machine of its own; its site is found by name, or made."""
    now = datetime.now(UTC)
    found = assessed_job(job)
    with transaction():
        site, _ = SiteRow.get_or_create(  # type: ignore[no-untyped-call]
            name=job.site.name, defaults={"units": job.site.units, "currency": job.site.currency}
        )
        machine = MachineRow.create(site=site, document=job.machine.model_dump(mode="json"))
        row = JobRow.create(machine=machine, document=job.document.model_dump(mode="json"), began=now, saved=now)
        made(database, job=row.id)
        kept = _stored(row)
        if kept.job.site == job.site:
            _keep_line(row, found)
        return kept


def save_change(
    job_id: int, revision: str, path: str, after: Any, who: str = "", label: str | None = None
) -> StoredJob:
    """Save one edit made on the job as it stood at ``revision``.

    What follows from it is worked out before it is committed, so that nothing is saved that cannot be shown.

    :raises Conflict: the job has moved on; nothing is saved.
    :raises ChangeRefused: the edit does not fit; nothing is saved.
    """
    before_it = _row(job_id)
    found = None
    if _revision(before_it) == revision:  # else it is refused below, in words
        found = assessed_job(with_change(_job(before_it), path, after), path, job_id, before=_job(before_it))
    with transaction():
        row = _locked(job_id, revision)
        job = _job(row)
        changed = with_change(job, path, after)
        before, kept = value_at(job, path), value_at(changed, path)
        if before == kept:
            return _stored(row)
        change = ChangeRow(
            path=path,
            label=label or label_of(job, path),
            before=before,
            after=kept,
            who=who,
            kind=EDIT,
            below=row.undo_top,
        )
        _write(row, changed, change, found)
        row.undo_top, row.redo_top = change.id, None
        row.save(only=[JobRow.undo_top, JobRow.redo_top])
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


def _step_back(job_id: int, revision: str, who: str, kind: str) -> StoredJob:
    """Undo or redo in a time that does not grow with the history: every change knows what lay below it when it was made."""
    with transaction():
        row = _locked(job_id, revision)
        top = row.undo_top if kind == UNDO else row.redo_top
        if top is None:
            raise ChangeRefused(f"There is nothing to {kind} in this job.")
        target = ChangeRow.get_by_id(top)
        expected, wanted = (target.after, target.before) if kind == UNDO else (target.before, target.after)
        job = _job(row)
        if value_at(job, target.path) != expected:
            raise ChangeRefused(
                f"“{target.label}” was changed from another job of this machine since; it cannot be taken back from here."
            )
        change = ChangeRow(
            path=target.path,
            label=target.label,
            before=expected,
            after=wanted,
            who=who,
            kind=kind,
            undoes=target,
            below=row.redo_top if kind == UNDO else None,
        )
        changed = with_change(job, target.path, wanted)
        _write(row, changed, change, assessed_job(changed, target.path, job_id, before=job))
        if kind == UNDO:
            row.undo_top, row.redo_top = target.below, target.id
        else:
            row.undo_top, row.redo_top = target.id, _redo_below(target)
        row.save(only=[JobRow.undo_top, JobRow.redo_top])
        return _stored(row)


def _redo_below(target: ChangeRow) -> int | None:
    """What can be put back after an edit was: what could be when it was last taken back."""
    taken_back = ChangeRow.select().where(ChangeRow.undoes == target.id, ChangeRow.kind == UNDO)
    newest = taken_back.order_by(ChangeRow.id.desc()).first()
    return newest.below if newest else None


def _write(row: JobRow, job: Job, change: ChangeRow, found: Assessed | None) -> None:
    row.revision += 1
    row.saved = datetime.now(UTC)
    row.document = job.document.model_dump(mode="json")
    row.save(only=[JobRow.revision, JobRow.saved, JobRow.document])
    if change.path == "machine" or change.path.startswith("machine/"):
        row.machine.revision += 1
        row.machine.document = job.machine.model_dump(mode="json")
        row.machine.save(only=[MachineRow.revision, MachineRow.document])
    change.job, change.at, change.revision = row, row.saved, row.revision
    change.save(force_insert=True)
    with _lock:
        _jobs[(row.id, _revision(row))] = _ReadJob((row.machine.document, row.document), job)
    if found is not None:
        _keep_line(row, found)


def _keep_line(row: JobRow, found: Assessed) -> None:
    """Keep a job's line on the Board with the job, and what was worked out for whoever looks at it next."""
    # A line that stands on what the job was before is shown, and renewed beside the requests.
    key = None if found.refining else _summary_key(_revision(row))
    row.summary, row.summary_key = found.board.model_dump(mode="json"), key
    row.save(only=[JobRow.summary, JobRow.summary_key])
    with _lock:
        _assessed[(row.id, _revision(row))] = found


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
    tops = [top for top in (row.undo_top, row.redo_top) if top is not None]
    labels = {one.id: one.label for one in ChangeRow.select(ChangeRow.id, ChangeRow.label).where(ChangeRow.id << tops)} if tops else {}  # fmt: skip
    return StoredJob(
        id=row.id,
        site_id=row.machine.site.id,
        machine_id=row.machine.id,
        revision=_revision(row),
        job=_job(row),
        saved=row.saved,
        undo_label=labels.get(row.undo_top or 0),
        redo_label=labels.get(row.redo_top or 0),
    )


def assessed(stored: StoredJob, whole: bool = True) -> Assessed:
    """What follows from a stored job, as text; worked out once for each revision, however many look at it at once.

    :param whole: whether to wait until everything is worked out anew, where a save did not.
    """
    key = (stored.id, stored.revision)
    with _lock:
        kept = _assessed.get(key)
        if kept is not None and not (whole and kept.refining):
            return kept
        others = _being_assessed.get(key)
        mine: Future[Assessed] = Future()
        if others is None:
            _being_assessed[key] = mine
    if others is not None:
        return others.result(2 * LONGEST_S)
    try:
        found = assessed_job(stored.job, number=stored.id, level=Level.LOOK)
        mine.set_result(found)
        with _lock:
            _assessed[key] = found
        return found
    except BaseException as error:
        mine.set_exception(error)
        raise
    finally:
        with _lock:
            _being_assessed.pop(key, None)


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
    key, written = (row.id, _revision(row)), (row.machine.document, row.document)
    with _lock:
        known = _jobs.get(key)
    if known is not None and known.written == written:
        return known.job
    job = Job(
        site=_site(row.machine.site),
        machine=Machine.model_validate(row.machine.document),
        document=JobDocument.model_validate(row.document),
    )
    with _lock:
        _jobs[key] = _ReadJob(written, job)
    return job


def _site(row: SiteRow) -> Site:
    return Site(name=row.name, units=row.units, currency=row.currency)


BOARD_SQL = """
SELECT s.id, s.name, s.units, s.currency, j.id, m.id, m.document->>'name', m.document->>'place', j.summary, j.summary_key,
       j.revision || '.' || m.revision, m.told, j.saved
FROM site s JOIN machine m ON m.site_id = s.id JOIN job j ON j.machine_id = m.id ORDER BY s.id, j.id LIMIT %s OFFSET %s
"""
WORKED_OUT_ANEW = BoardLine(
    sentence=("is being worked out anew",), waits_for="a moment", stands_at=Station.CALL, stopped=False
)
UNREADABLE = BoardLine(
    sentence=("cannot be read by this program; it is kept as it is",),
    waits_for="a program that reads it",
    stands_at=Station.CALL,
    stopped=False,
)
TOO_LONG = UNREADABLE.model_copy(update={"sentence": ("takes too long to be worked out; it is kept as it is",)})


@dataclass(frozen=True)
class BoardRow:
    """A job as the Board's query gives it."""

    id: int
    machine_id: int
    machine: str
    place: str | None
    summary: Any
    summary_key: str | None
    revision: str
    told: Any
    saved: datetime


def _board_job(row: BoardRow, until: float) -> BoardJob:
    line = _line(row)
    fresh = line is not None and row.summary_key == _summary_key(row.revision)
    if not fresh and time.monotonic() < until:
        line, fresh = renew_line(row.id), True
    told = _plain(row.told)
    return BoardJob(
        id=row.id,
        machine_id=row.machine_id,
        machine=row.machine,
        place=row.place,
        line=line or WORKED_OUT_ANEW,
        drifts=tuple(told["rail"]) if told and told["drifts"] else (),
        saved=row.saved,
        fresh=fresh,
    )


def _line(row: BoardRow) -> BoardLine | None:
    """The line as it is kept, unless an older program wrote it in another form."""
    try:
        return BoardLine.model_validate(_plain(row.summary)) if row.summary is not None else None
    except ValidationError:
        return None


def _plain(value: Any) -> Any:
    return json.loads(value) if isinstance(value, str) else value


def renew_line(job_id: int) -> BoardLine:
    """Work a job's line out anew and keep it; one that cannot be read is told of, and reaches no other job."""
    row = _row(job_id)
    try:
        line = assessed_job(_job(row), number=job_id, level=Level.REFINED).board
    except ValidationError:
        line = UNREADABLE
    except TookTooLong:
        line = TOO_LONG
    with transaction():
        # Only worth keeping if the job has not moved on meanwhile.
        JobRow.update(summary=line.model_dump(mode="json"), summary_key=_summary_key(_revision(row))).where(
            JobRow.id == row.id, JobRow.revision == row.revision
        ).execute()
    return line


def stale_jobs(most: int) -> tuple[int, ...]:
    """Jobs whose line on the Board an older program, or another job of their machine, left behind."""
    cursor = database.execute_sql(
        "SELECT j.id FROM job j JOIN machine m ON m.id = j.machine_id WHERE j.summary_key IS DISTINCT FROM"
        " j.revision || '.' || m.revision || %s ORDER BY j.id DESC LIMIT %s",
        (_summary_key(""), most),
    )
    return tuple(row[0] for row in cursor.fetchall())


def _summary_key(revision: str) -> str:
    return f"{revision} {__version__} {core_fingerprint()}"
