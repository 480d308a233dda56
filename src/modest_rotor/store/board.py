"""The Board: every job in one line, by one query and what is kept of each; lines that were left behind are renewed."""

from __future__ import annotations

import json
import time
from dataclasses import dataclass
from datetime import datetime
from typing import Any

from pydantic import ValidationError

from modest_rotor.core.assessment import BoardLine
from modest_rotor.core.job import Site, Station
from modest_rotor.core.phrase import Frozen, Phrase
from modest_rotor.store.database import database, transaction
from modest_rotor.store.fits import assessed_job
from modest_rotor.store.jobs import job_in, revision_of, row_of, summary_key
from modest_rotor.store.models import JobRow
from modest_rotor.workers.process import TookTooLong
from modest_rotor.workers.solvers import Level

PAGE = 100
"""Jobs on one page of the Board."""
RENEW_FOR_S = 0.15
"""How long a look at the Board may take to renew lines that an older program, or another job of the machine, left behind."""


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


def all_jobs_by_site(page: int = 1, size: int = PAGE) -> tuple[BoardSite, ...]:
    """A page of the sites with their jobs, each told in one line, by one query and what is kept of each job."""
    rows = database.execute_sql(BOARD_SQL, (size, (page - 1) * size)).fetchall()
    until = time.monotonic() + RENEW_FOR_S
    sites: dict[int, tuple[Site, list[BoardJob]]] = {}
    for site_id, name, units, currency, numbers, *job in rows:
        if site_id not in sites:
            sites[site_id] = (Site(name=name, units=units, currency=currency, numbers=numbers), [])
        sites[site_id][1].append(_board_job(BoardRow(*job), until))
    return tuple(BoardSite(id=number, site=site, jobs=tuple(lines)) for number, (site, lines) in sites.items())


def count_jobs() -> int:
    """How many jobs there are."""
    return int(JobRow.select().count())


BOARD_SQL = """
SELECT s.id, s.name, s.units, s.currency, s.numbers, j.id, m.id, m.document->>'name', m.document->>'place', j.summary, j.summary_key,
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
    fresh = line is not None and row.summary_key == summary_key(row.revision)
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
    row = row_of(job_id)
    try:
        line = assessed_job(job_in(row), number=job_id, level=Level.REFINED).board
    except ValidationError:
        line = UNREADABLE
    except TookTooLong:
        line = TOO_LONG
    with transaction():
        # Only worth keeping if the job has not moved on meanwhile.
        JobRow.update(summary=line.model_dump(mode="json"), summary_key=summary_key(revision_of(row))).where(
            JobRow.id == row.id, JobRow.revision == row.revision
        ).execute()
    return line


def stale_jobs(most: int) -> tuple[int, ...]:
    """Jobs whose line on the Board an older program, or another job of their machine, left behind."""
    cursor = database.execute_sql(
        "SELECT j.id FROM job j JOIN machine m ON m.id = j.machine_id WHERE j.summary_key IS DISTINCT FROM"
        " j.revision || '.' || m.revision || %s ORDER BY j.id DESC LIMIT %s",
        (summary_key(""), most),
    )
    return tuple(row[0] for row in cursor.fetchall())
