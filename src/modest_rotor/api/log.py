"""A machine's log over HTTP: readings over time, files of them, services, and the panel that is watched."""

from __future__ import annotations

import re
from datetime import UTC, datetime, timedelta
from typing import Any

from fastapi import APIRouter, Request
from fastapi.concurrency import run_in_threadpool
from pydantic import Field

from modest_rotor.api.apart import in_process
from modest_rotor.api.contracts import LONGEST_NAME, Words
from modest_rotor.core.drift.answer import TITLES, LogAnswer
from modest_rotor.core.drift.log import LOGGED, EventKind, interval_days
from modest_rotor.core.drift.reference import ONE_SETTING, setting_word, values_of
from modest_rotor.core.entry import read_entry
from modest_rotor.core.errors import ChangeRefused, Refusal, UnknownItem
from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.phrase import WithWords
from modest_rotor.core.physics.fan import MachineType
from modest_rotor.core.quantities import UnitSystem
from modest_rotor.core.say import say
from modest_rotor.core.tables import find_row, read_table
from modest_rotor.devices.panel_watch import LONGEST_S, SHORTEST_S, trouble_of
from modest_rotor.devices.simulated_devices import refuse_bench
from modest_rotor.formats.clock import LONGEST_ZONE, zone_of
from modest_rotor.formats.log_csv import LogFile, TimedValues, look_at_log_file, read_log_file
from modest_rotor.formats.logger_csv import Order
from modest_rotor.store import devices, jobs, logs, signed
from modest_rotor.store.database import with_connection
from modest_rotor.store.fits import assess_job
from modest_rotor.store.signed import SignedLine

router = APIRouter(prefix="/api", tags=["log"])
WHEN, WHEN_EXACTLY = "%Y-%m-%d %H:%M", "%Y-%m-%d %H:%M:%S"
PUMP_ONLY, FAN_ONLY = ("water_flow", "differential"), ("airflow", "static", "air")


class EventLine(WithWords):
    """A service event."""

    id: int
    at: datetime
    kind: EventKind
    words: str
    note: str
    due: datetime | None
    who: str


class WatchView(WithWords):
    """The panel that is read into this log."""

    panel: str
    commander: str | None
    every_s: int
    setting: str
    who: str
    began: datetime
    trouble: str | None


class ColumnLine(WithWords):
    """What a reading of this machine can hold."""

    column: str
    title: str
    quantity: str


class KindLine(WithWords):
    """A kind of service that can be noted."""

    kind: EventKind
    words: str


class CapacitorLeaves(WithWords):
    """When the run capacitor leaves its tolerance, if it goes on losing as it has; the latest may be never."""

    earliest: datetime
    likely: datetime
    latest: datetime | None


class LogView(WithWords):
    """A machine's log as it is shown."""

    machine_id: int
    answer: LogAnswer
    next_visit: datetime | None
    since: datetime | None
    events: list[EventLine]
    watch: WatchView | None
    signed: SignedLine | None
    settings: list[str]
    columns: list[ColumnLine]
    kinds: list[KindLine]
    capacitor_leaves: CapacitorLeaves | None


class ReadingIn(WithWords):
    """A reading typed: values by column, as text."""

    at: str | None = Field(default=None, max_length=20, description="empty: now; else 2026-03-01 14:30, UTC")
    setting: Words = Field(default=ONE_SETTING, max_length=40)
    values: dict[str, str] = Field(max_length=len(LOGGED))
    units: UnitSystem = "si"
    who: Words = Field(default="", max_length=LONGEST_NAME)


class SetIn(WithWords):
    """A set of a job, taken over into its machine's log."""

    job_id: int
    set_id: str = Field(max_length=16)
    who: Words = Field(default="", max_length=LONGEST_NAME)


class FileIn(WithWords):
    """A file of readings with what a person said of it."""

    text: str = Field(max_length=8_000_000)
    mapping: dict[str, str] = Field(default_factory=dict)
    units_of: dict[str, str] = Field(default_factory=dict)
    order: Order | None = None
    setting: Words = Field(default=ONE_SETTING, max_length=40)
    source: Words = Field(default="file", max_length=LONGEST_NAME)
    zone: str = Field(default="", max_length=LONGEST_ZONE, description="time zone of the logger's clock; UTC for none")
    units: UnitSystem = "si"
    who: Words = Field(default="", max_length=LONGEST_NAME)


class EventIn(WithWords):
    """A service event."""

    at: str | None = Field(default=None, max_length=20)
    kind: EventKind
    note: Words = Field(default="", max_length=400)
    due: Words = Field(default="", max_length=40, description="when again: 6 months, 90 days; a bare number is months")
    who: Words = Field(default="", max_length=LONGEST_NAME)


class WatchIn(WithWords):
    """A panel to be read at an interval."""

    panel: Words = Field(max_length=LONGEST_NAME)
    commander: Words | None = Field(default=None, max_length=LONGEST_NAME)
    every_s: int = Field(ge=SHORTEST_S, le=LONGEST_S)
    setting: Words = Field(default=ONE_SETTING, max_length=40)
    who: Words = Field(default="", max_length=LONGEST_NAME)


class TakenIn(WithWords):
    """What became of readings that were given."""

    kept: int
    already: int
    view: LogView


@router.get("/machines/{machine_id}/log")
@with_connection
def read(machine_id: int) -> LogView:
    """A machine's log, judged."""
    return _view(machine_id)


@router.post("/machines/{machine_id}/log/readings")
@with_connection
def add_reading(machine_id: int, said: ReadingIn) -> TakenIn:
    """A reading typed in."""
    values: dict[str, float] = {}
    for column, text in said.values.items():
        if column not in LOGGED:
            raise ChangeRefused(say("api-log-add-reading", column=column[:40]))
        if text.strip():
            values[column] = read_entry(LOGGED[column], text, said.units).si
    reading = logs.NewReading(
        _time(said.at), said.setting.strip() or ONE_SETTING, said.who.strip() or "typed", values, said.who
    )
    return _taken(machine_id, logs.keep_readings(machine_id, (reading,)))


@router.post("/machines/{machine_id}/log/sets")
@with_connection
def add_set(machine_id: int, said: SetIn) -> TakenIn:
    """A set of readings of this machine's job."""
    stored = jobs.load(said.job_id)
    if stored.machine_id != machine_id:
        raise ChangeRefused(say("api-log-add-set-job-another"))
    document = stored.job.document
    reading = next((one for one in document.readings if one.id == said.set_id), None)
    if reading is None:
        raise UnknownItem(say("api-log-add-set-set-there"))
    answers = {one.id: one for one in assess_job(stored.job).sets}
    values = values_of(reading, answers.get(reading.id), stored.job.machine.type)
    new = logs.NewReading(
        _time(reading.taken_at), setting_word(reading), reading.taken_by or said.who or "visit", values, said.who
    )
    return _taken(machine_id, logs.keep_readings(machine_id, (new,)))


@router.post("/log/look")
async def look(file: FileIn, request: Request) -> LogFile:
    """What a file of readings says; nothing is taken in."""
    return await in_process(request, look_at_log_file, *_as_said(file))


@router.post("/machines/{machine_id}/log/csv")
async def take_file(machine_id: int, file: FileIn, request: Request) -> TakenIn:
    """Take in a file's readings, all or none; those that are there already are left as they are."""
    _, rows = await in_process(request, read_log_file, *_as_said(file))
    return await run_in_threadpool(_take_rows, machine_id, file, rows)


def _as_said(file: FileIn) -> tuple[Any, ...]:
    zone = zone_of(file.zone)
    return file.text, datetime.now(UTC), file.mapping, file.units_of, file.order, file.units, zone


@with_connection
def _take_rows(machine_id: int, file: FileIn, rows: tuple[TimedValues, ...]) -> TakenIn:
    setting, source = file.setting.strip() or ONE_SETTING, file.source.strip() or "file"
    readings = (logs.NewReading(row.at, setting, source, row.values, file.who) for row in rows)
    return _taken(machine_id, logs.keep_readings(machine_id, readings))


@router.post("/machines/{machine_id}/log/events")
@with_connection
def add_event(machine_id: int, said: EventIn) -> LogView:
    """Note a service that was done."""
    due_days = interval_days(said.due)
    logs.add_event(machine_id, _time(said.at), said.kind, said.note.strip(), due_days, said.who.strip())
    return _view(machine_id)


@router.delete("/machines/{machine_id}/log/events/{event_id}")
@with_connection
def remove_event(machine_id: int, event_id: int) -> LogView:
    """Take a service event away again."""
    logs.remove_event(machine_id, event_id)
    return _view(machine_id)


@router.put("/machines/{machine_id}/log/watch")
@with_connection
def watch(machine_id: int, said: WatchIn) -> LogView:
    """Read a panel into this log from now on."""
    panel = devices.device_named(said.panel)
    refuse_bench(panel)
    commander = devices.device_named(said.commander).id if said.commander else None
    logs.keep_watch(
        machine_id, panel.id, commander, said.every_s, said.setting.strip() or ONE_SETTING, said.who.strip()
    )
    return _view(machine_id)


@router.delete("/machines/{machine_id}/log/watch")
@with_connection
def end_watch(machine_id: int) -> LogView:
    """Read it no longer."""
    logs.end_watch(machine_id)
    return _view(machine_id)


def _view(machine_id: int) -> LogView:
    answer = logs.answer_of(machine_id)
    _, job = logs.machine_job(machine_id)
    frozen = signed.newest_of_machine(machine_id)
    row = logs.watch_of(machine_id)
    return LogView(
        machine_id=machine_id,
        answer=answer,
        next_visit=logs.at_of(answer.next_day) if answer.next_day is not None else None,
        since=logs.at_of(answer.since_day) if answer.since_day is not None else None,
        events=[
            EventLine(
                id=event.id,
                at=event.at,
                kind=EventKind(event.kind),
                words=find_row("service_events", event=event.kind)["words"],
                note=event.note,
                due=event.at + timedelta(days=event.due_days) if event.due_days else None,
                who=event.who,
            )
            for event in logs.events_of(machine_id)
        ],
        watch=WatchView(
            panel=row.device.name,
            commander=row.commander.name if row.commander else None,
            every_s=row.every_s,
            setting=row.setting,
            who=row.who,
            began=row.began,
            trouble=trouble_of(machine_id),
        )
        if row
        else None,
        signed=frozen[1].line if frozen else None,
        settings=_settings(machine_id),
        columns=_columns(job.machine.type, job.document.nameplate.kind),
        kinds=[KindLine(kind=EventKind(one["event"]), words=one["words"]) for one in read_table("service_events")],
        capacitor_leaves=_leaves(answer),
    )


def _settings(machine_id: int) -> list[str]:
    """Settings that this log or the state at sign-off knows, for choosing."""
    _, job = logs.machine_job(machine_id)
    frozen = signed.newest_of_machine(machine_id)
    stands = frozen[1].job if frozen else job
    of_sets = [setting_word(one) for one in stands.document.after or stands.document.before]
    return list(dict.fromkeys([*of_sets, *logs.settings_of(machine_id), ONE_SETTING]))


def _leaves(answer: LogAnswer) -> CapacitorLeaves | None:
    told = answer.leaves
    if told is None:
        return None
    latest = logs.at_of(told.latest) if told.latest is not None else None
    return CapacitorLeaves(earliest=logs.at_of(told.earliest), likely=logs.at_of(told.likely), latest=latest)


def _columns(machine_type: MachineType | None, kind: MotorKind | None) -> list[ColumnLine]:
    left_out = set(FAN_ONLY if machine_type is MachineType.PUMP else PUMP_ONLY)
    if kind is not MotorKind.SPLIT_CAPACITOR:
        left_out.add("capacitance")
    return [
        ColumnLine(column=column, title=TITLES[column], quantity=quantity)
        for column, quantity in LOGGED.items()
        if column not in left_out
    ]


def _taken(machine_id: int, counts: tuple[int, int]) -> TakenIn:
    return TakenIn(kept=counts[0], already=counts[1], view=_view(machine_id))


def _time(text: str | None) -> datetime:
    """A time as typed, UTC; now where nothing is."""
    said = (text or "").strip()
    if not said:
        return datetime.now(UTC)
    if re.fullmatch(r"\d{4}-\d{2}-\d{2}", said):
        said += " 12:00"
    try:
        return datetime.strptime(said, WHEN_EXACTLY if said.count(":") == 2 else WHEN).replace(tzinfo=UTC)
    except ValueError as error:
        raise Refusal(say("api-log-time", said=said)) from error
