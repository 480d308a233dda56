"""A file of readings over months: which column holds what in which unit, and what was wrong with its rows."""

from __future__ import annotations

import itertools
import math
import re
from dataclasses import dataclass
from datetime import UTC, datetime, timedelta, tzinfo
from typing import Any

from modest_rotor.core.drift.log import LOGGED
from modest_rotor.core.phrase import WithWords
from modest_rotor.core.quantities import Unit, UnitSystem, quantity
from modest_rotor.core.say import say
from modest_rotor.formats.cells import heading_and_unit
from modest_rotor.formats.logger_csv import (
    LogRefused,
    Order,
    few,
    joined,
    number_of,
    table_of,
    time_column,
    time_reader,
)

EARLIEST = datetime(2000, 1, 1, tzinfo=UTC)
AHEAD = timedelta(minutes=5)
NOT_TAKEN = ""
GUESSES = {
    "voltage": re.compile(r"\bvolt|\bsupply v|^v\b|_v\b"),
    "current": re.compile(r"\bamp|current|^a\b|\ba\b"),
    "speed": re.compile(r"rpm|speed|rev"),
    "static": re.compile(r"static|pressure across|esp"),
    "input_power": re.compile(r"watt|\bpower\b|\bk?w\b(?!\.)"),
    "water_flow": re.compile(r"water|gpm"),
    "airflow": re.compile(r"air ?flow|cfm|\bflow\b"),
    "differential": re.compile(r"differential|head"),
    "air": re.compile(r"temp|entering|\bair\b"),
    "capacitance": re.compile(r"capac|µf|uf\b|mfd"),
}


class LogColumn(WithWords):
    """A column of the file: what it was taken for, and in which unit."""

    heading: str
    column: str
    unit: str
    units: list[str]


class LogFile(WithWords):
    """What a file says, before anything is taken in."""

    time_column: str
    columns: list[LogColumn]
    rows: int
    readings: int
    first: datetime | None
    last: datetime | None
    remarks: list[str]


@dataclass(frozen=True)
class TimedValues:
    """One row: when, and its values in SI."""

    at: datetime
    values: dict[str, float]


def read_log_file(
    text: str,
    now: datetime,
    mapping: dict[str, str] | None = None,
    units_of: dict[str, str] | None = None,
    order: Order | None = None,
    units: UnitSystem = "si",
    zone: tzinfo = UTC,
) -> tuple[LogFile, tuple[TimedValues, ...]]:
    """The readings of a file, in the order of their times, and what was done with doubtful rows.

    :param now: nothing later is taken. :param mapping: what a person said that a heading is; empty leaves it out.
    :param units_of: units by heading, where a person said so. :param units: where a heading names none.
    :param zone: of the logger's clock. Where that is set back in autumn, an hour that it shows twice is taken as two.
    :raises LogRefused: no table, no times, times that could be read two ways, or nothing that the log holds.
    """
    head, rows = table_of(text)
    time_at, remarks = time_column(head, rows)
    columns = [
        _column(heading, mapping or {}, units_of or {}, units)
        for place, heading in enumerate(head)
        if place not in time_at
    ]
    chosen = [(head.index(one.heading), one) for one in columns if one.column]
    if not chosen:
        raise LogRefused(say("log-csv-read-log-file-column-log", head=", ".join(head)))
    twice = next((one.column for i, (_, one) in enumerate(chosen) if one.column in {other.column for _, other in chosen[:i]}), None)  # fmt: skip
    if twice:
        raise LogRefused(say("log-csv-read-log-file-two-columns", replace=twice.replace("_", " ")))
    taken = [_taken(place, column) for place, column in chosen]
    read_time = time_reader(rows, time_at, order)
    read: list[tuple[datetime, dict[str, float]]] = []
    bad: list[str] = []
    outside = 0
    for line, row in enumerate(rows, 2):
        stamp = read_time(joined(row, time_at))
        values, wrong = _values(row, taken)
        outside += wrong
        if stamp is None or not values:
            bad.append(say("log-csv-read-log-file-line", line=line))
            continue
        read.append((stamp, values))
    found = [
        TimedValues(at=at, values=values)
        for at, (_, values) in zip(_on_clock([stamp for stamp, _ in read], zone), read, strict=True)
    ]
    if bad:
        remarks.append(say("log-csv-read-log-file-rows-left", bad=len(bad), few=few(bad)))
    if outside:
        remarks.append(say("log-csv-read-log-file-values-left", outside=outside))
    kept = _in_time(found, now, remarks)
    report = LogFile(
        time_column=" and ".join(head[place] for place in time_at),
        columns=columns,
        rows=len(rows),
        readings=len(kept),
        first=kept[0].at if kept else None,
        last=kept[-1].at if kept else None,
        remarks=remarks,
    )
    return report, tuple(kept)


def _on_clock(stamps: list[datetime], zone: tzinfo) -> list[datetime]:
    """Times of a clock as UTC, in the order of the file.

    An hour that the clock shows twice is its second showing where it goes back on the row before; a time that only stands
    there again is the second where rows are an hour apart or more, else a doubled row. A file from the newest row down is read
    from its end.
    """
    falls = sum(after < before for before, after in itertools.pairwise(stamps))
    rises = sum(after > before for before, after in itertools.pairwise(stamps))
    told: list[datetime] = []
    for stamp in reversed(stamps) if falls > rises else stamps:
        first, second = (stamp.replace(tzinfo=zone, fold=fold).astimezone(UTC) for fold in (0, 1))
        before = told[-1] if told else None
        apart = before - told[-2] if before and len(told) > 1 else None
        again = before == first and apart is not None and apart >= second - first
        told.append(second if before and (first < before < second or (again and before < second)) else first)
    return told[::-1] if falls > rises else told


def look_at_log_file(*said: Any, **more: Any) -> LogFile:
    """What a file says, without its readings; arguments and errors as :func:`read_log_file`."""
    return read_log_file(*said, **more)[0]


def _in_time(found: list[TimedValues], now: datetime, remarks: list[str]) -> list[TimedValues]:
    """The readings in order, without those that a wrong clock dated."""
    back = sum(after.at < before.at for before, after in itertools.pairwise(found))
    if back:
        remarks.append(say("log-csv-in-time-clock-jumps", back=back))
    future = [one for one in found if one.at > now + AHEAD]
    early = [one for one in found if one.at < EARLIEST]
    if future:
        remarks.append(say("log-csv-in-time-rows-future", future=len(future)))
    if early:
        remarks.append(say("log-csv-in-time-rows-before", early=len(early), year=EARLIEST.year))
    kept: dict[datetime, TimedValues] = {}
    for one in found:
        if EARLIEST <= one.at <= now + AHEAD:
            kept.setdefault(one.at, one)
    twice = len(found) - len(future) - len(early) - len(kept)
    if twice:
        remarks.append(say("log-csv-in-time-rows-time", twice=twice))
    return [kept[at] for at in sorted(kept)]


def _column(heading: str, mapping: dict[str, str], units_of: dict[str, str], units: UnitSystem) -> LogColumn:
    name = mapping.get(heading, _guess(heading))
    if name not in LOGGED:
        return LogColumn(heading=heading, column=NOT_TAKEN, unit="", units=[])
    what = quantity(LOGGED[name])
    said = what.unit_named(units_of[heading]) if heading in units_of else None
    unit = said or _unit_in(heading, what.units) or what.reader_unit(units)
    return LogColumn(heading=heading, column=name, unit=unit.symbol, units=[one.symbol for one in what.units])


def _guess(heading: str) -> str:
    lowered = heading.lower()
    return next((name for name, pattern in GUESSES.items() if pattern.search(lowered)), NOT_TAKEN)


def _unit_in(heading: str, units: tuple[Unit, ...]) -> Unit | None:
    """The unit that a heading names, in brackets or as its last words."""
    in_brackets = heading_and_unit(heading)[1]
    words = heading.split()
    said = [in_brackets] if in_brackets else [" ".join(words[-2:]), *words[-1:], heading.rsplit("_", 1)[-1]]
    exact = (unit for text in said for unit in units if unit.symbol == text)
    loose = (unit for text in said for unit in units if unit.answers_to(text))
    return next(exact, None) or next(loose, None)


@dataclass(frozen=True)
class _Taken:
    """A column that is taken: its place, how its numbers become SI, and what they can be."""

    place: int
    name: str
    unit: Unit | None
    low: float
    high: float


def _taken(place: int, column: LogColumn) -> _Taken:
    what = quantity(LOGGED[column.column])
    return _Taken(place, column.column, what.unit_named(column.unit), what.low, what.high)


def _values(row: list[str], taken: list[_Taken]) -> tuple[dict[str, float], int]:
    values: dict[str, float] = {}
    wrong = 0
    for one in taken:
        number = number_of(row[one.place]) if one.place < len(row) else None
        if number is None:
            continue
        value = one.unit.to_si(number) if one.unit else math.nan
        if one.low <= value <= one.high:
            values[one.name] = value
        else:
            wrong += 1
    return values, wrong
