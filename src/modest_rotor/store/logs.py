"""A machine's readings over time, its service events, and what is told of both; kept by what they rest on."""

from __future__ import annotations

import logging
import time
from collections.abc import Iterable
from dataclasses import dataclass
from datetime import UTC, datetime, timedelta
from threading import Lock
from typing import Annotated, Any

import numpy as np
from cachetools import LRUCache
from pydantic import TypeAdapter

from modest_rotor.core.drift.answer import Due, LogAnswer
from modest_rotor.core.drift.log import LOGGED, Event, EventKind, Log
from modest_rotor.core.drift.reference import references_of
from modest_rotor.core.errors import ChangeRefused, ModestRotorError, UnknownItem
from modest_rotor.core.job import Job
from modest_rotor.core.kept_words import kept_for_all
from modest_rotor.core.numerals import span_told
from modest_rotor.core.phrase import Phrase
from modest_rotor.core.said_fields import Worded
from modest_rotor.core.say import Dated, Number, say
from modest_rotor.core.tables import find_row
from modest_rotor.store import jobs, signed
from modest_rotor.store.database import database, forgets_on_connect, in_one_transaction, transaction
from modest_rotor.store.fits import assess_job, judge_log
from modest_rotor.store.models import JobRow, LogReadingRow, MachineRow, ServiceRow, WatchRow

EPOCH = datetime(1970, 1, 1, tzinfo=UTC)
DAY_S = 86_400.0
MOST_READINGS = 200_000
INSERTED_AT_ONCE = 20_000
"""Rows of one statement, so that none comes near the time that a statement may take."""
AHEAD = timedelta(minutes=5)
"""How far a reading's clock may run ahead of ours."""
COLUMNS = tuple(LOGGED)
_answers: LRUCache[Any, LogAnswer] = LRUCache(64)
TOLD_FOR_S = 60.0
_newest: LRUCache[int, tuple[LogAnswer, float]] = LRUCache(256)
"""The newest answer of each machine, for its rail: an edit of the job does not wait for the log to be worked out anew."""
_lock = Lock()
log = logging.getLogger(__name__)
PHRASES: TypeAdapter[Phrase] = TypeAdapter(Annotated[Phrase, Worded()])


@forgets_on_connect
def forget_answers() -> None:
    """Forget every answer: the same numbers mean other machines in another database."""
    with _lock:
        _answers.clear()
        _newest.clear()


@dataclass(frozen=True)
class NewReading:
    """A reading to be kept: when, on what setting, read by what, and values in SI."""

    at: datetime
    setting: str
    source: str
    values: dict[str, float]
    who: str = ""


def day_of(at: datetime) -> float:
    """Days since 1970."""
    return (at - EPOCH).total_seconds() / DAY_S


def at_of(day: float) -> datetime:
    """The time of a day since 1970."""
    return EPOCH + timedelta(days=day)


def machine_job(machine_id: int) -> tuple[int, Job]:
    """The newest job of a machine, with its number. :raises UnknownItem: there is no such machine."""
    row = JobRow.select(JobRow.id).where(JobRow.machine == machine_id).order_by(JobRow.id.desc()).first()
    if row is None:
        raise UnknownItem(say("logs-machine-job", machine_id=machine_id))
    return row.id, jobs.job_of(row.id)


def keep_readings(machine_id: int, readings: Iterable[NewReading]) -> tuple[int, int]:
    """Keep readings, all or none; one that is there already is left as it is.

    :returns: how many were kept, and how many were there already. :raises ChangeRefused: a reading of the future, an empty one,
        or more than a machine keeps.
    """
    wanted = list(readings)
    now = datetime.now(UTC)
    for one in wanted:
        if one.at > now + AHEAD:
            ahead = span_told((one.at - now).total_seconds())
            raise ChangeRefused(say("logs-keep-readings-reading-lies", ahead=ahead))
        if not one.values:
            raise ChangeRefused(say("logs-keep-readings-reading-without"))
    with transaction():
        _machine(machine_id)
        before = LogReadingRow.select().where(LogReadingRow.machine == machine_id).count()
        if before + len(wanted) > MOST_READINGS:
            raise ChangeRefused(say("logs-keep-readings-machine-keeps", most_readings=Number(MOST_READINGS, ",")))
        for begin in range(0, len(wanted), INSERTED_AT_ONCE):
            _insert(machine_id, wanted[begin : begin + INSERTED_AT_ONCE])
        kept = LogReadingRow.select().where(LogReadingRow.machine == machine_id).count() - before
    return kept, len(wanted) - kept


def _insert(machine_id: int, readings: list[NewReading]) -> None:
    """All rows in one statement, as arrays: ten thousand take a fraction of a second."""
    names = ", ".join(f'"{name}"' for name in COLUMNS)
    arrays = ", ".join(["%s::timestamptz[]", *["%s::text[]"] * 3, *["%s::float8[]"] * len(COLUMNS)])
    columns = (
        [one.at for one in readings],
        [one.setting for one in readings],
        [one.source for one in readings],
        [one.who for one in readings],
        *([one.values.get(name) for one in readings] for name in COLUMNS),
    )
    database.execute_sql(
        f"INSERT INTO log_reading (machine_id, at, setting, source, who, {names}) SELECT %s, * FROM unnest({arrays})"
        " ON CONFLICT DO NOTHING",
        (machine_id, *columns),
    )


def forget_told(machine_id: int) -> None:
    """What the rail says of a machine is worked out anew: it was signed off."""
    with _lock:
        _newest.pop(machine_id, None)


def log_of(machine_id: int) -> Log:
    """Every reading and event of a machine, as numbers."""
    names = ", ".join(f'"{name}"' for name in COLUMNS)
    cursor = database.execute_sql(
        f"SELECT extract(epoch FROM at)::float8, setting, source, {names} FROM log_reading WHERE machine_id = %s ORDER BY at",
        (machine_id,),
    )
    rows = cursor.fetchall()
    columns = {name: np.array([row[3 + i] for row in rows], float) for i, name in enumerate(COLUMNS)}
    return Log(
        days=np.array([row[0] for row in rows], float) / DAY_S,
        settings=tuple(row[1] for row in rows),
        sources=tuple(row[2] for row in rows),
        columns={name: column for name, column in columns.items() if np.isfinite(column).any()},
        events=tuple(Event(day_of(row.at), EventKind(row.kind), row.note) for row in events_of(machine_id)),
    )


def events_of(machine_id: int) -> tuple[ServiceRow, ...]:
    """Service events that stand, oldest first."""
    rows = ServiceRow.select().where(ServiceRow.machine == machine_id, ~ServiceRow.removed).order_by(ServiceRow.at)
    return tuple(rows)


@in_one_transaction
def add_event(machine_id: int, at: datetime, kind: EventKind, note: str, due_days: int | None, who: str) -> None:
    """Keep a service event. :raises ChangeRefused: one of the future."""
    if at > datetime.now(UTC) + AHEAD:
        raise ChangeRefused(say("logs-add-event", at=Dated(at, "y-MM-dd")))
    _machine(machine_id)
    ServiceRow.create(machine=machine_id, at=at, kind=str(kind), note=note, due_days=due_days, who=who)


@in_one_transaction
def remove_event(machine_id: int, event_id: int) -> None:
    """Take an event out of sight; it stays in the database."""
    done = (
        ServiceRow.update(removed=True)
        .where(ServiceRow.id == event_id, ServiceRow.machine == machine_id, ~ServiceRow.removed)
        .execute()
    )
    if not done:
        raise UnknownItem(say("logs-remove-event", event_id=event_id))


def answer_of(machine_id: int) -> LogAnswer:
    """What is told of a machine's log; worked out anew only when a reading, an event, the job or the day is another."""
    _, job = machine_job(machine_id)
    signed_now = signed.newest_of_machine(machine_id)
    today = float(int(day_of(datetime.now(UTC))))
    newest = LogReadingRow.select(LogReadingRow.id).where(LogReadingRow.machine == machine_id).order_by(LogReadingRow.id.desc()).first()  # fmt: skip
    events = events_of(machine_id)
    told = tuple((event.id, event.at) for event in events)
    sign_key = (signed_now[0], signed_now[1].line.number) if signed_now else job.model_dump_json()
    key = (machine_id, jobs.core_fingerprint(), newest.id if newest else 0, told, sign_key, today)
    with _lock:
        if key in _answers:
            _newest[machine_id] = (_answers[key], time.monotonic())
            return _answers[key]
    answer = _work_out(machine_id, job, signed_now[1] if signed_now else None, events, today)
    with _lock:
        _answers[key] = answer
        _newest[machine_id] = (answer, time.monotonic())
    return answer


@dataclass(frozen=True)
class Told:
    """A machine's log in a few words."""

    rail: Phrase
    drifts: bool = False
    due: datetime | None = None
    waits: bool = False


NOTHING_TOLD = Told((say("logs-nothing-told"),), waits=True)
NOT_JUDGED = Told((say("logs-not-judged"),))


def answer_if_any(machine_id: int) -> LogAnswer | None:
    """What is told of a machine's log; nothing where it cannot be judged: a fault of ours takes neither job nor Board along."""
    try:
        return answer_of(machine_id)
    except ModestRotorError:
        raise
    except (ArithmeticError, ValueError, LookupError, TypeError, RuntimeError):
        log.exception("the log of machine %s cannot be judged", machine_id)
        return None


def told_of(machine_id: int) -> Told:
    """A machine's log in a few words: worked out, where it has readings, and else nothing but that."""
    if not LogReadingRow.select(LogReadingRow.id).where(LogReadingRow.machine == machine_id).limit(1).exists():
        return NOTHING_TOLD
    with _lock:
        answer, at = _newest.get(machine_id, (None, 0.0))
    if answer is None or time.monotonic() - at > TOLD_FOR_S:
        answer = answer_if_any(machine_id)
    if answer is None:
        return NOT_JUDGED
    return Told(answer.rail, answer.drifts, at_of(answer.next_day) if answer.next_day is not None else None)


@in_one_transaction
def keep_told(machine_id: int) -> Told:
    """Keep a machine's log in a few words with the machine, for the Board."""
    with _lock:
        _newest.pop(machine_id, None)
    told = told_of(machine_id)
    with kept_for_all():
        rail = PHRASES.dump_python(told.rail, mode="json")
    due = told.due.isoformat() if told.due else None
    MachineRow.update(told={"rail": rail, "drifts": told.drifts, "due": due}, told_key=_told_key(machine_id)).where(
        MachineRow.id == machine_id
    ).execute()
    return told


TOLD_KEY_SQL = """
(SELECT coalesce(max(r.id), 0) FROM log_reading r WHERE r.machine_id = m.id) || ' ' ||
(SELECT coalesce(max(e.id), 0) || ' ' || count(*) FROM service e WHERE e.machine_id = m.id AND NOT e.removed) || ' ' ||
(SELECT coalesce(max(s.id), 0) FROM signed s JOIN job j ON j.id = s.job_id WHERE j.machine_id = m.id) || %s
"""
"""What is told of a machine's log rests on: its newest reading, its services, its newest sign-off, the core, and the day."""


def _told_key(machine_id: int) -> str:
    cursor = database.execute_sql(f"SELECT {TOLD_KEY_SQL} FROM machine m WHERE m.id = %s", (_today_key(), machine_id))
    return str(cursor.fetchone()[0])


def _today_key() -> str:
    return f" {jobs.core_fingerprint()} {int(day_of(datetime.now(UTC)))}"


def stale_machines(most: int) -> tuple[int, ...]:
    """Machines with readings over time of which the Board tells what is not true any more."""
    cursor = database.execute_sql(
        "SELECT m.id FROM machine m WHERE EXISTS (SELECT 1 FROM log_reading r WHERE r.machine_id = m.id)"
        f" AND m.told_key IS DISTINCT FROM {TOLD_KEY_SQL} LIMIT %s",
        (_today_key(), most),
    )
    return tuple(row[0] for row in cursor.fetchall())


def _work_out(
    machine_id: int, job: Job, frozen: signed.SignedJob | None, events: tuple[ServiceRow, ...], today: float
) -> LogAnswer:
    stands = frozen.job if frozen else job
    assessment = frozen.assessment if frozen else assess_job(job)
    references = references_of(stands, assessment, day_of(frozen.line.at) if frozen else None)
    dues = tuple(
        Due(
            day_of(event.at) + event.due_days,
            say("logs-work-out", lower=find_row("service_events", event=event.kind)["words"].lower()),
        )
        for event in _newest_of_each_kind(events)
        if event.due_days
    )
    return judge_log(log_of(machine_id), stands, references, dues, today)


def _newest_of_each_kind(events: tuple[ServiceRow, ...]) -> tuple[ServiceRow, ...]:
    newest: dict[str, ServiceRow] = {}
    for event in events:
        newest[event.kind] = event
    return tuple(newest.values())


def machines_with_logs() -> tuple[tuple[int, int, str, str], ...]:
    """Machine, newest job, machine's name and site's name, for every machine with readings over time or service events."""
    cursor = database.execute_sql(
        "SELECT m.id, max(j.id), m.document->>'name', s.name FROM machine m JOIN job j ON j.machine_id = m.id JOIN site s ON"
        " s.id = m.site_id WHERE EXISTS (SELECT 1 FROM log_reading r WHERE r.machine_id = m.id) OR EXISTS (SELECT 1 FROM"
        " service e WHERE e.machine_id = m.id AND NOT e.removed) GROUP BY m.id, s.name ORDER BY m.id"
    )
    return tuple(cursor.fetchall())


def watch_of(machine_id: int) -> WatchRow | None:
    """The meter panel that is read into a machine's log, if one is."""
    return WatchRow.get_or_none(WatchRow.machine == machine_id)


def all_watches() -> tuple[WatchRow, ...]:
    """Every panel that is read at an interval."""
    return tuple(WatchRow.select())


@in_one_transaction
def keep_watch(machine_id: int, device_id: int, commander: int | None, every_s: int, setting: str, who: str) -> None:
    """Read a panel into a machine's log from now on.

    :param commander: the drive or fan that tells on what it runs; else every reading is on ``setting``.
    """
    _machine(machine_id)
    with transaction():
        WatchRow.delete().where(WatchRow.machine == machine_id).execute()
        WatchRow.create(
            machine=machine_id,
            device=device_id,
            commander=commander,
            every_s=every_s,
            setting=setting,
            who=who,
            began=datetime.now(UTC),
        )


@in_one_transaction
def end_watch(machine_id: int) -> None:
    """Read it no longer."""
    _machine(machine_id)
    WatchRow.delete().where(WatchRow.machine == machine_id).execute()


def _machine(machine_id: int) -> None:
    if MachineRow.get_or_none(MachineRow.id == machine_id) is None:
        raise UnknownItem(say("logs-machine", machine_id=machine_id))


def settings_of(machine_id: int) -> tuple[str, ...]:
    """Settings on which a machine was read, the one read most first."""
    cursor = database.execute_sql(
        "SELECT setting FROM log_reading WHERE machine_id = %s GROUP BY setting ORDER BY count(*) DESC LIMIT 24",
        (machine_id,),
    )
    return tuple(row[0] for row in cursor.fetchall())
