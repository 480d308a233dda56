"""Jobs as they are kept: read, begun, changed, undone. Every write is one named change in one transaction."""

from __future__ import annotations

import hashlib
from concurrent.futures import Future
from dataclasses import dataclass
from datetime import UTC, datetime
from functools import cache
from pathlib import Path
from threading import Lock
from typing import Any

from cachetools import LRUCache

import modest_rotor.core
from modest_rotor import __version__
from modest_rotor.core.changes import label_of, value_at, with_change
from modest_rotor.core.commands import Command, decide
from modest_rotor.core.errors import ChangeRefused, Conflict, Refusal, UnknownItem
from modest_rotor.core.first import prepared
from modest_rotor.core.job import Job, JobDocument, Machine, Site
from modest_rotor.core.kept_words import kept_for_all
from modest_rotor.core.numerals import NumberStyle, span_told
from modest_rotor.core.quantities import UnitSystem
from modest_rotor.core.say import Reader, reader, say
from modest_rotor.core.statements import (
    STATEMENTS,
    Actor,
    Edit,
    refuse_statements,
    with_statements_of,
    without_statements,
)
from modest_rotor.store.database import database, forgets_on_connect, transaction
from modest_rotor.store.fits import assess_job, assessed_job
from modest_rotor.store.models import ChangeRow, JobRow, MachineRow, SiteRow
from modest_rotor.store.saving import made
from modest_rotor.store.solving import Assessed
from modest_rotor.workers.solvers import LONGEST_S, Level

EDIT, UNDO, REDO, STATEMENT = "edit", "undo", "redo", "said"
MOST_KEPT = 64


@dataclass(frozen=True)
class _ReadJob:
    """A job as it was read, beside what it was read from."""

    written: tuple[Any, Any]
    job: Job


_jobs: LRUCache[tuple[int, str], _ReadJob] = LRUCache(4 * MOST_KEPT)
_assessed: LRUCache[tuple[int, str, Reader], Assessed] = LRUCache(MOST_KEPT)
"""Jobs and what follows from them, as :func:`_kept_under` names them: both are frozen, and what changes has another name."""
_being_assessed: dict[tuple[int, str, Reader], Future[Assessed]] = {}
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
    thrown: datetime | None = None


def load(job_id: int) -> StoredJob:
    """A job by its number."""
    return _stored(row_of(job_id))


def job_of(job_id: int) -> Job:
    """A job alone, without what could be taken back in it: for looking at drafts, which happens at every key."""
    found = database.execute_sql(
        "SELECT j.revision || '.' || m.revision, s.name, s.units, s.currency, s.numbers, s.customer, s.contact, s.address"
        " FROM job j JOIN machine m ON m.id = j.machine_id JOIN site s ON s.id = m.site_id WHERE j.id = %s",
        (job_id,),
    ).fetchone()
    with _lock:
        known = _jobs.get(_kept_under(job_id, found[0], site_of(*found[1:]))) if found else None
    return known.job if known is not None else job_in(row_of(job_id))


def machines_for_the_bench(most: int = 500) -> tuple[tuple[int, str, str], ...]:
    """Number, machine and site of the newest jobs."""
    cursor = database.execute_sql(
        "SELECT j.id, m.document->>'name', s.name FROM job j JOIN machine m ON m.id = j.machine_id JOIN site s ON s.id ="
        " m.site_id ORDER BY j.id LIMIT %s",
        (most,),
    )
    return tuple(cursor.fetchall())


def begin_job(
    machine_name: str, site_name: str, units: UnitSystem = "si", currency: str | None = None, line: str = ""
) -> StoredJob:
    """Begin a job with nothing but a machine's name; the site is found by its name, or made.

    :param line: the plate in one line; the job is then made ready for a first answer.
    """
    kept = SiteRow.get_or_none(SiteRow.name == site_name)
    numbers = NumberStyle(kept.numbers) if kept is not None and kept.numbers else None
    site = Site(name=site_name, units=units, currency=currency, numbers=numbers)
    job = Job(site=site, machine=Machine(name=machine_name))
    return keep_job(prepared(job, line) if line.strip() else job)


def keep_job(job: Job, machine_id: int | None = None) -> StoredJob:
    """Keep a whole job as a new one; its site is found by name, or made.

    :param machine_id: the machine that it is about, where that is there; else the job comes with one of its own.
    """
    now = datetime.now(UTC)
    found = assessed_job(job)
    with transaction():
        site, _ = SiteRow.get_or_create(  # type: ignore[no-untyped-call]
            name=job.site.name, defaults=job.site.model_dump(mode="json", exclude={"name"})
        )
        machine = MachineRow.get_or_none(MachineRow.id == machine_id) if machine_id is not None else None
        machine = machine or MachineRow.create(site=site, document=job.machine.model_dump(mode="json"))
        row = JobRow.create(machine=machine, document=job.document.model_dump(mode="json"), began=now, saved=now)
        made(database, job=row.id)
        kept = _stored(row)
        if kept.job.site == job.site:
            _keep_line(row, found, job.site)
        return kept


def say_numbers(job_id: int, numbers: NumberStyle | None) -> StoredJob:
    """Say how numbers are written at a job's site; what was typed there before keeps the value that it was read as."""
    SiteRow.update(numbers=numbers).where(SiteRow.id == row_of(job_id).machine.site.id).execute()
    return load(job_id)


def carry_out(job_id: int, revision: str, command: Command, actor: Actor) -> StoredJob:
    """Keep what a command makes of the job as it stood at ``revision``; the core decides.

    :raises Conflict: the job has moved on, or somebody was there before; nothing is saved. :raises ChangeRefused: as :func:`decide`.
    """
    stored = load(job_id)
    job, number = stored.job, stored.id
    for edit in decide(job, command, actor, lambda: assess_job(job)):
        stored = keep(number, revision, edit, actor.name)
        revision = stored.revision
    return stored


def keep(job_id: int, revision: str, edit: Edit, who: str = "") -> StoredJob:
    """Save one edit made on the job as it stood at ``revision``.

    What follows from it is worked out before it is committed, so that nothing is saved that cannot be shown.

    :raises Conflict: the job has moved on; nothing is saved.
    :raises ChangeRefused: the edit does not fit, or would change what somebody said by name; nothing is saved.
    """
    path, before_it = edit.path, row_of(job_id)
    found = None
    if revision_of(before_it) == revision:  # else it is refused below, in words
        found = assessed_job(with_change(job_in(before_it), path, edit.after), path, job_id, before=job_in(before_it))
    with transaction():
        row = _locked(job_id, revision)
        job = job_in(row)
        changed = with_change(job, path, edit.after)
        if not edit.by_name:
            refuse_statements(job, changed)
        before, kept = value_at(job, path), value_at(changed, path)
        if before == kept:
            return _stored(row)
        change = ChangeRow(
            path=path,
            label=edit.label or label_of(job, path),
            before=before,
            after=kept,
            who=who,
            kind=STATEMENT if edit.by_name else EDIT,
            below=None if edit.by_name else row.undo_top,
        )
        _write(row, changed, change, found)
        if not edit.by_name:
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
    row_of(job_id)
    return tuple(ChangeRow.select().where(ChangeRow.job == job_id).order_by(ChangeRow.id))


def _as_kept_now(job: Job, path: str, value: Any) -> Any:
    """A value of a history as documents hold it today: those of version 1 held words where codes are held since."""
    try:
        return value_at(with_change(job, path, value), path)
    except Refusal:
        return value


def _step_back(job_id: int, revision: str, who: str, kind: str) -> StoredJob:
    """Undo or redo in a time that does not grow with the history: every change knows what lay below it when it was made."""
    with transaction():
        row = _locked(job_id, revision)
        target = _edit_from(row.undo_top if kind == UNDO else row.redo_top)
        if target is None:
            raise ChangeRefused(say("store-jobs-step-back-there-nothing", kind=kind))
        expected, wanted = (target.after, target.before) if kind == UNDO else (target.before, target.after)
        job = job_in(row)
        now = without_statements(target.path, value_at(job, target.path))
        if all(
            now != without_statements(target.path, one) for one in (expected, _as_kept_now(job, target.path, expected))
        ):
            raise ChangeRefused(say("store-jobs-step-back-changed-another", target=target.label))
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
        changed = with_statements_of(job, with_change(job, target.path, wanted))
        _write(row, changed, change, assessed_job(changed, target.path, job_id, before=job))
        if kind == UNDO:
            row.undo_top, row.redo_top = target.below, target.id
        else:
            row.undo_top, row.redo_top = target.id, _redo_below(target)
        row.save(only=[JobRow.undo_top, JobRow.redo_top])
        return _stored(row)


def _edit_from(top: int | None) -> ChangeRow | None:
    """The newest edit from a change on downwards; statements that were kept as edits once are passed over."""
    while top is not None:
        found: ChangeRow = ChangeRow.get_by_id(top)
        if found.path not in STATEMENTS:
            return found
        top = found.below
    return None


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
        _jobs[_kept_under(row.id, revision_of(row), job.site)] = _ReadJob((row.machine.document, row.document), job)
    if found is not None:
        _keep_line(row, found, job.site)


def _keep_line(row: JobRow, found: Assessed, site: Site) -> None:
    """Keep a job's line on the Board with the job, and what was worked out for whoever looks at it next."""
    # A line that stands on what the job was before is shown, and renewed beside the requests.
    key = None if found.refining else summary_key(revision_of(row))
    with kept_for_all():
        row.summary, row.summary_key = found.board.model_dump(mode="json"), key
    row.save(only=[JobRow.summary, JobRow.summary_key])
    with _lock:
        _assessed[*_kept_under(row.id, revision_of(row), site), reader()] = found


def _locked(job_id: int, revision: str) -> JobRow:
    row = row_of(job_id, lock=True)
    if revision_of(row) != revision:
        newest = ChangeRow.select().where(ChangeRow.job == job_id).order_by(ChangeRow.id.desc()).first()
        what = (
            say("store-jobs-locked-changed-ago", newest=newest.label, span_told=span_told(_age_s(newest)))
            if newest
            else say("store-jobs-locked-changed")
        )
        raise Conflict(say("store-jobs-locked-window-out", what=what))
    return row


def _age_s(change: ChangeRow) -> float:
    at: datetime = change.at
    return max(0.0, (datetime.now(UTC) - at).total_seconds())


def row_of(job_id: int, lock: bool = False) -> JobRow:
    """A job's row with its machine and site. :raises UnknownItem: there is none of that number."""
    query = JobRow.select(JobRow, MachineRow, SiteRow).join(MachineRow).join(SiteRow).where(JobRow.id == job_id)
    row = (query.for_update(of=(JobRow, MachineRow)) if lock else query).first()
    if row is None:
        raise UnknownItem(say("store-jobs-row-of", job_id=job_id))
    return row  # type: ignore[no-any-return]


def _stored(row: JobRow) -> StoredJob:
    undone, redone = (_edit_from(top) for top in (row.undo_top, row.redo_top))
    return StoredJob(
        id=row.id,
        site_id=row.machine.site.id,
        machine_id=row.machine.id,
        revision=revision_of(row),
        job=job_in(row),
        saved=row.saved,
        undo_label=undone.label if undone else None,
        redo_label=redone.label if redone else None,
        thrown=row.thrown,
    )


def assessed(stored: StoredJob, whole: bool = True) -> Assessed:
    """What follows from a stored job, as text; worked out once for each revision, however many look at it at once.

    :param whole: whether to wait until everything is worked out anew, where a save did not.
    """
    key = (*_kept_under(stored.id, stored.revision, stored.job.site), reader())
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


def revision_of(row: JobRow) -> str:
    """The revision of a job: its own and its machine's."""
    return f"{row.revision}.{row.machine.revision}"


def _kept_under(job_id: int, revision: str, site: Site) -> tuple[int, str]:
    """A job's number and all that it is told by: of its site other things may be said without a new revision.

    Whoever read it before that was said and keeps it after, keeps it under its old name.
    """
    return job_id, f"{revision} {site.model_dump_json()}"


def job_in(row: JobRow) -> Job:
    """The job that a row holds; read once for each revision."""
    site = site_in(row.machine.site)
    key = _kept_under(row.id, revision_of(row), site)
    written = (row.machine.document, row.document)
    with _lock:
        known = _jobs.get(key)
    if known is not None and known.written == written:
        return known.job
    job = Job(
        site=site,
        machine=Machine.model_validate(row.machine.document),
        document=JobDocument.model_validate(row.document),
    )
    with _lock:
        _jobs[key] = _ReadJob(written, job)
    return job


def site_in(row: SiteRow) -> Site:
    """The site that a row holds."""
    return site_of(*(getattr(row, name) for name in SITE_FIELDS))


SITE_FIELDS = ("name", "units", "currency", "numbers", "customer", "contact", "address")


def site_of(*told: str | None) -> Site:
    """A site from the columns of its row, in the order of ``SITE_FIELDS``."""
    return Site.model_validate(dict(zip(SITE_FIELDS, told, strict=True)))


def summary_key(revision: str) -> str:
    """Under what a job's line on the Board is kept: its revision, and the program that wrote it."""
    return f"{revision} {__version__} {core_fingerprint()}"
