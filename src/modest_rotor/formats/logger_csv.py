"""A logger's file: which columns are time and value, in which order of day and month, and what was wrong with its rows."""

from __future__ import annotations

import math
import re
from datetime import datetime, timedelta
from functools import lru_cache
from typing import Literal

import numpy as np

from modest_rotor.core.errors import OutsideValidity, Refusal
from modest_rotor.core.phrase import WithWords
from modest_rotor.core.say import Number, say
from modest_rotor.core.stations.logger import Log, LoggedKind, LoggedYear, gaps_of, logged_year
from modest_rotor.formats.cells import rows_of

LARGEST_LOG = 8_000_000
MOST_TOLD = 8
FEWEST_ROWS = 12
HOUR = timedelta(hours=1)
BACK = timedelta(minutes=5)
"""How far a clock that was put back may miss the whole hour."""
Order = Literal["day-first", "month-first"]
ORDER_WORDS: dict[Order, str] = {
    "day-first": say("logger-csv-order-words-day-first"),
    "month-first": say("logger-csv-order-words-month-first"),
}
"""What a person reads of an order."""
ASKED_ORDER = "order"
"""The field named by a refusal that only wants to be told which."""
DAY = re.compile(r"(\d{1,2})([-/.])(\d{1,2})\2(\d{4})")
"""Day and month in either order."""
HOURS = re.compile(r"(\d{1,2}):(\d{2})(?::(\d{2})(?:\.\d{1,6})?)?(?: ?([ap])\.?m\.?)?", re.I)
"""A clock of 24 or of twice 12 hours."""
DATE, CLOCK = re.compile(r"\d[-/.]\d"), re.compile(r"\d:\d")
DAY_OR_MONTH = re.compile(r"(\d{1,2})[-/.](\d{1,2})[-/.]\d{4}")
NOON = 12
MOST_COLUMNS = 200
TIME_HEAD = re.compile(r"time|date|stamp|clock", re.I)
HEADS = {
    LoggedKind.WATTS: re.compile(r"\b(?:k?w|watts?|power|leistung)\b", re.I),
    LoggedKind.AMPS: re.compile(r"\b(?:m?a|amps?|amperes?|current|strom)\b", re.I),
    LoggedKind.ON_OFF: re.compile(r"\b(?:on|off|state|status|run(?:ning)?|call)\b", re.I),
}
SCALES = {re.compile(r"\bkw\b", re.I): 1000.0, re.compile(r"\bma\b", re.I): 0.001}
UNITS = ("watts", "watt", "amps", "amp", "kw", "ma", "w", "a")
"""Units that may stand behind a number, the longer ones first."""
WORDS = {"on": 1.0, "off": 0.0, "true": 1.0, "false": 0.0, "run": 1.0, "running": 1.0, "stop": 0.0, "stopped": 0.0}


class LogRefused(Refusal):
    """A file that is no log."""


class LogReport(WithWords):
    """What a logger's file says, and what was done with its doubtful rows; nothing is taken over until it is confirmed."""

    time_column: str
    value_column: str
    columns: list[str]
    rows: int
    remarks: list[str]
    year: LoggedYear


def read_log(text: str, column: str | None = None, order: Order | None = None) -> LogReport:
    """A logger's CSV as a year.

    :param column: heading of the values, where a person said so. :param order: of day and month, where they said so.
    :raises LogRefused: no table, no times, no values, times that could be read two ways, or too little record.
    """
    head, rows = table_of(text)
    time_at, remarks = time_column(head, rows)
    value_at = _value_column(head, rows, time_at, column)
    read = [number_of(row[value_at]) if value_at < len(row) else None for row in rows]
    kind, scale = _kind(head[value_at], read)
    read_time = time_reader(rows, time_at, order)
    stamps: list[datetime] = []
    values: list[float] = []
    bad: list[str] = []
    for line, (row, value) in enumerate(zip(rows, read, strict=True), 2):
        stamp = read_time(joined(row, time_at))
        if stamp is None or value is None:
            bad.append(say("logger-csv-read-log-line", line=line))
            continue
        stamps.append(stamp)
        values.append(value * scale)
    if bad:
        remarks.append(say("logger-csv-read-log-rows-left", bad=len(bad), few=few(bad)))
    seconds, kept = _ordered(stamps, remarks)
    if len(seconds) < FEWEST_ROWS:
        raise LogRefused(say("logger-csv-read-log-only-rows", seconds=len(seconds), fewest_rows=FEWEST_ROWS))
    gaps = gaps_of(seconds)
    if len(gaps):
        remarks.append(say("logger-csv-read-log-gaps-h", gaps=len(gaps), sum=Number(gaps.sum() / 3600, ".1f")))
    try:
        year = logged_year(Log(seconds, np.array(values)[kept], kind))
    except OutsideValidity as refusal:
        raise LogRefused(refusal.sentence) from refusal
    time_name = " and ".join(head[place] for place in time_at)
    return LogReport(time_column=time_name, value_column=head[value_at], columns=head, rows=len(rows), remarks=remarks, year=year)  # fmt: skip


def table_of(text: str) -> tuple[list[str], list[list[str]]]:
    """Head and rows of a logger's file, without what stands above the table. :raises LogRefused: there is none."""
    if len(text) > LARGEST_LOG:
        raise LogRefused(
            say(
                "logger-csv-table-of-file-characters", text=Number(len(text), ","), largest_log=Number(LARGEST_LOG, ",")
            )
        )
    if "\0" in text:
        raise LogRefused(say("logger-csv-table-of-text-table"))
    lines = [line for line in text.lstrip("\ufeff").splitlines() if line.strip()]
    if len(lines) < 2:
        raise LogRefused(say("logger-csv-table-of-log-head"))
    # A comma may be a decimal one, so it parts columns only where nothing else does.
    mark = next((one for one in ";\t" if sum(one in line for line in lines) > len(lines) / 2), ",")
    rows = rows_of("\n".join(lines), mark, LogRefused)
    if max(len(row) for row in rows) > MOST_COLUMNS:
        raise LogRefused(say("logger-csv-table-of-log-most", most_columns=MOST_COLUMNS))
    # Loggers write serial numbers and settings above the table: it begins where the rows have their usual width.
    width = int(np.median([len(row) for row in rows]))
    start = next((i for i, row in enumerate(rows) if len(row) == width and _is_head(row)), None)
    if start is None or width < 2:
        raise LogRefused(say("logger-csv-table-of-head-time"))
    return rows[start], rows[start + 1 :]


def time_column(head: list[str], rows: list[list[str]]) -> tuple[tuple[int, ...], list[str]]:
    """Places of date and time: one column or two; and what to say where there are several clocks."""
    named = [place for place, cell in enumerate(head) if TIME_HEAD.search(cell)] or [0]
    sample = next((row for row in rows if len(row) > named[-1]), [])
    whole = [place for place in named if sample and _holds_both(sample[place])]
    if whole:
        words = say(
            "logger-csv-time-column-clocks-used",
            whole=len(whole),
            value=" and ".join(head[place] for place in whole),
            head=head[whole[0]],
        )
        return (whole[0],), [words] if len(whole) > 1 else []
    date = next((place for place in named if sample and DATE.search(sample[place])), None)
    clock = next((place for place in named if sample and ":" in sample[place]), None)
    if date is None or clock is None:
        raise LogRefused(say("logger-csv-time-column-column-date", head=", ".join(head)))
    return (date, clock), []


def _holds_both(cell: str) -> bool:
    """Whether a cell has a date, and a clock behind it."""
    date = DATE.search(cell)
    return date is not None and CLOCK.search(cell, date.end() - 1) is not None


def _value_column(head: list[str], rows: list[list[str]], time_at: tuple[int, ...], column: str | None) -> int:
    if column is not None:
        if column not in head:
            raise LogRefused(say("logger-csv-value-column-file-column", column=column[:40], head=", ".join(head)))
        return head.index(column)
    numbers = [
        place for place in range(len(head))
        if place not in time_at and sum(number_of(row[place]) is not None for row in rows[:200] if place < len(row)) > len(rows[:200]) / 2
    ]  # fmt: skip
    for pattern in HEADS.values():
        named = [place for place in numbers if pattern.search(head[place])]
        if named:
            return named[0]
    if not numbers:
        raise LogRefused(say("logger-csv-value-column-column-numbers", head=", ".join(head)))
    return numbers[0]


def _is_head(row: list[str]) -> bool:
    """Whether a row names columns: its last cell is no number, or a word such as “run” that heads a column as well as it fills it."""
    last = row[-1].strip().lower()
    if last in WORDS:
        return not any(CLOCK.search(cell) or DATE.search(cell) for cell in row)
    return number_of(last) is None


def _kind(heading: str, values: list[float | None]) -> tuple[LoggedKind, float]:
    if {value for value in values if value is not None} <= {0.0, 1.0}:
        return LoggedKind.ON_OFF, 1.0
    scale = next((factor for unit, factor in SCALES.items() if unit.search(heading)), 1.0)
    return (LoggedKind.WATTS if HEADS[LoggedKind.WATTS].search(heading) else LoggedKind.AMPS), scale


class TimeReader:
    """Reads the time stamps of one file: those of the international form, and of day and month in one order."""

    def __init__(self, order: Order | None) -> None:
        self.order = order

    def __call__(self, text: str) -> datetime | None:
        """The time, in the logger's own clock; nothing where the text is none."""
        if self.order and (found := self._by_order(text)):
            return found
        try:
            stamp = datetime.fromisoformat(text)
        except ValueError:
            return None
        offset = stamp.utcoffset()
        if offset is None:
            return stamp
        try:
            return stamp.replace(tzinfo=None) - offset
        except OverflowError:  # a time before the first year
            return None

    def _by_order(self, text: str) -> datetime | None:
        # A log has few days, and the same hours in each.
        date, _, clock = text.partition(" ")
        day, hours = _day(date, self.order), _hours(clock)
        return None if day is None or hours is None else datetime(*day, *hours)


@lru_cache(maxsize=4096)
def _day(text: str, order: Order | None) -> tuple[int, int, int] | None:
    match = DAY.fullmatch(text)
    if match is None:
        return None
    first, second, year = int(match[1]), int(match[3]), int(match[4])
    day, month = (first, second) if order == "day-first" else (second, first)
    try:
        datetime(year, month, day)
    except ValueError:
        return None
    return year, month, day


@lru_cache(maxsize=100_000)
def _hours(text: str) -> tuple[int, int, int] | None:
    match = HOURS.fullmatch(text)
    if match is None:
        return None
    hour, minute, second = int(match[1]), int(match[2]), int(match[3] or 0)
    if match[4]:
        if not 1 <= hour <= NOON:
            return None
        hour = hour % NOON + (NOON if match[4].lower() == "p" else 0)
    return (hour, minute, second) if hour <= 23 and minute <= 59 and second <= 59 else None


def time_reader(rows: list[list[str]], time_at: tuple[int, ...], order: Order | None) -> TimeReader:
    """What reads the times of these rows. :raises LogRefused: none, or times that could be read two ways."""
    texts = [joined(row, time_at) for row in rows if len(row) > max(time_at)]
    if not texts:
        raise LogRefused(say("logger-csv-time-reader-row-date"))
    if TimeReader(None)(texts[0]) is not None:
        return TimeReader(None)
    pairs = [match for date in {text.partition(" ")[0] for text in texts} if (match := DAY_OR_MONTH.match(date))]
    if not pairs:
        raise LogRefused(say("logger-csv-time-reader-cannot-read", texts=texts[0][:30]))
    day_first = any(int(match[1]) > 12 for match in pairs)
    month_first = any(int(match[2]) > 12 for match in pairs)
    if day_first and month_first:
        raise LogRefused(say("logger-csv-time-reader-some-dates"))
    if not (day_first or month_first or order):
        raise LogRefused(say("logger-csv-time-reader-could-day", texts=texts[0][:20]), ASKED_ORDER)
    said: Order = "day-first" if day_first else "month-first" if month_first else order or "day-first"
    return TimeReader(said)


def joined(row: list[str], time_at: tuple[int, ...]) -> str:
    """Date and time of a row as one text."""
    if len(time_at) == 1:
        return row[time_at[0]] if time_at[0] < len(row) else ""
    return " ".join(row[place] for place in time_at if place < len(row))


def number_of(text: str) -> float | None:
    """A cell as a number, with its unit or a decimal comma; nothing where it is none."""
    try:
        value = float(text)
    except ValueError:
        return _spelled_number(text)
    return value if math.isfinite(value) else None


@lru_cache(maxsize=8192)
def _spelled_number(text: str) -> float | None:
    plain = text.strip().lower()
    if plain in WORDS:
        return WORDS[plain]
    unit = next((one for one in UNITS if plain.endswith(one)), "")
    plain = plain[: len(plain) - len(unit)].rstrip()
    whole, comma, decimals = plain.partition(",")
    if comma and decimals.isdecimal() and whole.removeprefix("-").isdecimal():
        plain = f"{whole}.{decimals}"
    try:
        value = float(plain)
    except ValueError:
        return None
    return value if math.isfinite(value) else None


def _ordered(stamps: list[datetime], remarks: list[str]) -> tuple[np.ndarray, list[int]]:
    """Seconds from the first stamp, growing, with a clock that was put back taken along; and which rows are kept."""
    shift, last = timedelta(), None
    seconds: list[float] = []
    kept: list[int] = []
    twice = backwards = put_back = 0
    for place, bare in enumerate(stamps):
        stamp = bare + shift
        if last is not None and stamp < last:
            step = last - stamp
            if abs(step - HOUR) <= BACK or (step < HOUR and step > HOUR - 6 * BACK):
                put_back += 1
                shift += HOUR
                stamp += HOUR
            else:
                backwards += 1
                continue
        if last is not None and stamp <= last:
            twice += 1
            continue
        seconds.append((stamp - stamps[0]).total_seconds())
        kept.append(place)
        last = stamp
    if put_back:
        remarks.append(
            say(
                "logger-csv-ordered-clock-put",
                once=say("logger-csv-ordered-once")
                if put_back == 1
                else say("logger-csv-ordered-times", put_back=put_back),
            )
        )
    if twice:
        remarks.append(say("logger-csv-ordered-rows-time", twice=twice))
    if backwards:
        remarks.append(say("logger-csv-ordered-rows-run", backwards=backwards))
    return np.array(seconds), kept


def few(names: list[str]) -> str:
    """The first few of many."""
    return ", ".join(names[:MOST_TOLD]) + (" …" if len(names) > MOST_TOLD else "")
