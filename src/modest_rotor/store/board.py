"""The Board: every job in one line, by one query and what is kept of each; lines that were left behind are renewed."""

from __future__ import annotations

import json
import time
from dataclasses import dataclass
from datetime import datetime
from enum import StrEnum
from typing import Any

from pydantic import Field, ValidationError

from modest_rotor.core.assessment import BoardLine
from modest_rotor.core.coded import codes_read_as
from modest_rotor.core.job import Site, Station
from modest_rotor.core.kept_words import kept_for_all, said_again
from modest_rotor.core.phrase import Frozen, Phrase
from modest_rotor.core.say import say
from modest_rotor.store.database import database, transaction
from modest_rotor.store.fits import assessed_job
from modest_rotor.store.jobs import SITE_FIELDS, job_in, revision_of, row_of, site_of, summary_key
from modest_rotor.store.logs import PHRASES
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
    due: datetime | None = None
    archived: bool = False
    thrown: datetime | None = Field(default=None, description="when it was thrown away; it is kept for thirty days")
    fresh: bool = True


class BoardSite(Frozen):
    """A site with its jobs."""

    id: int
    site: Site
    jobs: tuple[BoardJob, ...]


class Shelf(StrEnum):
    """Where a job lies."""

    OPEN = "open"
    ARCHIVED = "archived"
    BIN = "bin"


class Only(StrEnum):
    """What a job must be to be shown."""

    STOPPED = "stopped"
    DRIFTING = "drifting"
    DUE = "due"


class Order(StrEnum):
    """In which order jobs are shown; ``site`` by site and as they were begun."""

    SITE = "site"
    NEWEST = "newest"
    NAME = "name"


@dataclass(frozen=True)
class BoardAsk:
    """What is asked of the Board.

    :param find: words, each of which must begin a word that was typed into the job, or stand in the name of machine, place, site
        or customer. :param site: a site's number. :param jobs: these alone.
    """

    find: str = ""
    site: int | None = None
    stands_at: Station | None = None
    only: Only | None = None
    shelf: Shelf = Shelf.OPEN
    order: Order = Order.SITE
    jobs: tuple[int, ...] = ()


EVERYTHING = BoardAsk()


def all_jobs_by_site(page: int = 1, size: int = PAGE, ask: BoardAsk = EVERYTHING) -> tuple[BoardSite, ...]:
    """A page of jobs, each told in one line, by one query and what is kept of each job; those of a site that follow each other
    stand together.
    """
    where, values = _where(ask)
    sql = f"SELECT {BOARD_COLUMNS} {BOARD_FROM} WHERE {where} ORDER BY {ORDERS[ask.order]} LIMIT %s OFFSET %s"
    rows = database.execute_sql(sql, (*values, size, (page - 1) * size)).fetchall()
    until = time.monotonic() + RENEW_FOR_S
    sites: list[tuple[int, Site, list[BoardJob]]] = []
    for site_id, *rest in rows:
        if not sites or sites[-1][0] != site_id:
            sites.append((site_id, site_of(*rest[: len(SITE_FIELDS)]), []))
        sites[-1][2].append(_board_job(BoardRow(*rest[len(SITE_FIELDS) :]), until))
    return tuple(BoardSite(id=number, site=site, jobs=tuple(lines)) for number, site, lines in sites)


def count_jobs(ask: BoardAsk = EVERYTHING) -> int:
    """How many jobs answer to what is asked."""
    where, values = _where(ask)
    return int(database.execute_sql(f"SELECT count(*) {BOARD_FROM} WHERE {where}", values).fetchone()[0])


def open_jobs(most: int) -> list[int]:
    """Numbers of the jobs that are open, as they were begun."""
    sql = f"SELECT j.id FROM job j WHERE {SHELVES[Shelf.OPEN]} ORDER BY j.id LIMIT %s"
    return [row[0] for row in database.execute_sql(sql, (most,)).fetchall()]


def count_shelves() -> dict[Shelf, int]:
    """How many jobs lie on each shelf."""
    counted = database.execute_sql(
        f"SELECT {', '.join(f'count(*) FILTER (WHERE {SHELVES[one]})' for one in Shelf)} FROM job j"
    )
    return dict(zip(Shelf, map(int, counted.fetchone()), strict=True))


BOARD_COLUMNS = (
    f"s.id, {', '.join(f's.{name}' for name in SITE_FIELDS)}, j.id, m.id, m.document->>'name', m.document->>'place', "
    "j.summary, j.summary_key, j.revision || '.' || m.revision, m.told, j.saved, j.archived, j.thrown"
)
BOARD_FROM = "FROM site s JOIN machine m ON m.site_id = s.id JOIN job j ON j.machine_id = m.id"
SHELVES = {
    Shelf.OPEN: "j.archived IS NULL AND j.thrown IS NULL",
    Shelf.ARCHIVED: "j.archived IS NOT NULL AND j.thrown IS NULL",
    Shelf.BIN: "j.thrown IS NOT NULL",
}
ORDERS = {
    Order.SITE: "s.id, j.id",
    Order.NEWEST: "j.saved DESC, j.id DESC",
    Order.NAME: "lower(m.document->>'name'), j.id",
}
WHICH = {
    Only.STOPPED: "(j.summary->>'stopped')::boolean",
    Only.DRIFTING: "(m.told->>'drifts')::boolean",
    Only.DUE: "(m.told->>'due')::timestamptz <= now()",
}
NAMES = "lower(concat_ws(' ', m.document->>'name', m.document->>'place', s.name, s.customer, s.contact, s.address))"
# An answer is kept as its code and looked for by what is read of it.
ANSWER = "EXISTS (SELECT FROM unnest(%s::text[]) AS code WHERE j.words @@ phraseto_tsquery('simple', code))"
# A word that the database takes for none has no query; it may stand in a name all the same.
WORD = f"(coalesce(j.words @@ (nullif(phraseto_tsquery('simple', %s)::text, '') || ':*')::tsquery, false) OR strpos({NAMES}, %s) > 0 OR {ANSWER})"
MOST_WORDS = 8


def _where(ask: BoardAsk) -> tuple[str, tuple[Any, ...]]:
    """The conditions of a look, and the values that go into them."""
    conditions: list[str] = [SHELVES[ask.shelf]]
    values: list[Any] = []
    for word in _words(ask.find):
        conditions.append(WORD)
        values += [word, word, list(codes_read_as(word))]
    if ask.site is not None:
        conditions.append("s.id = %s")
        values.append(ask.site)
    if ask.stands_at is not None:
        conditions.append("j.summary->>'stands_at' = %s")
        values.append(str(ask.stands_at))
    if ask.only is not None:
        conditions.append(WHICH[ask.only])
    if ask.jobs:
        conditions.append("j.id = ANY(%s)")
        values.append(list(ask.jobs))
    return " AND ".join(conditions), tuple(values)


def _words(find: str) -> list[str]:
    """The words of a search that hold a letter or a figure."""
    return [word for word in find.lower().split() if any(sign.isalnum() for sign in word)][:MOST_WORDS]


WORKED_OUT_ANEW = BoardLine(
    sentence=(say("store-board-worked-out-anew-being-worked"),),
    waits_for=say("store-board-worked-out-anew-moment"),
    stands_at=Station.CALL,
    stopped=False,
)
UNREADABLE = BoardLine(
    sentence=(say("store-board-unreadable-cannot-read"),),
    waits_for=say("store-board-unreadable-program-reads"),
    stands_at=Station.CALL,
    stopped=False,
)
TOO_LONG = UNREADABLE.model_copy(update={"sentence": (say("store-board-too-long"),)})


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
    archived: datetime | None
    thrown: datetime | None


def _board_job(row: BoardRow, until: float) -> BoardJob:
    line = _line(row)
    fresh = line is not None and row.summary_key == summary_key(row.revision)
    if not fresh and time.monotonic() < until:
        line, fresh = renew_line(row.id), True
    told = _plain(row.told)
    with said_again():
        drifts = PHRASES.validate_python(told["rail"]) if told and told["drifts"] else ()
    return BoardJob(
        id=row.id,
        machine_id=row.machine_id,
        machine=row.machine,
        place=row.place,
        line=line or WORKED_OUT_ANEW,
        drifts=drifts,
        saved=row.saved,
        due=told.get("due") if told else None,
        archived=row.archived is not None,
        thrown=row.thrown,
        fresh=fresh,
    )


def _line(row: BoardRow) -> BoardLine | None:
    """The line as it is kept, unless an older program wrote it in another form."""
    try:
        with said_again():
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
    with transaction(), kept_for_all():
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
