"""Sets of readings as CSV: out with what was typed, in with headings mapped, units to a column, and bad rows listed."""

from __future__ import annotations

import csv
import io
from collections.abc import Mapping
from datetime import tzinfo
from functools import cache
from typing import Any

from pydantic import Field, ValidationError

from modest_rotor.core.entry import Entry
from modest_rotor.core.errors import QuantityRefused, Refusal
from modest_rotor.core.job import MOST_SETS
from modest_rotor.core.phrase import WithWords
from modest_rotor.core.quantities import UnitSystem, quantity
from modest_rotor.core.recognized import in_each_language
from modest_rotor.core.say import Number, say, words_for
from modest_rotor.core.stations.readings import ReadingSet, refuse_future
from modest_rotor.core.stations.sheet import is_moment, quantity_of
from modest_rotor.core.unfit import first_reason
from modest_rotor.formats.cells import heading_and_unit, plain_text, rows_of, safe_text
from modest_rotor.formats.clock import kept_of, zone_of

LARGEST_CSV = 500_000
MOST_COLUMNS = 80
MOST_TOLD = 50
LEAVE_OUT = ""
FORMER_HEADINGS = {"static across": "total_static", "start-winding amps": "start_current"}
"""How earlier versions headed a column: their files are still recognised."""
FIELDS = tuple(name for name in ReadingSet.model_fields if name not in ("id", "unread"))


class CsvRefused(Refusal):
    """A file that is no table of readings."""


class CsvColumn(WithWords):
    """A column of the file: what it is taken for, in which unit a bare number is meant, and a sample."""

    heading: str
    field: str = Field(description="the field it is taken for; empty leaves it out")
    unit: str = Field(description="the unit of a bare number; empty takes the reader's")
    sample: str


class CsvRow(WithWords):
    """A row that cannot be taken, and why."""

    line: int
    reason: str


class CsvProposal(WithWords):
    """What an import would do; nothing is taken in until it is confirmed."""

    columns: list[CsvColumn]
    unknown: list[str]
    good: int
    bad: list[CsvRow]
    sets: list[dict[str, Any]] = Field(exclude=True)


def write_sets(sets: tuple[ReadingSet, ...]) -> str:
    """All sets as CSV, one to a row, each value as it was typed with its unit; empty columns are left out."""
    used = [name for name in FIELDS if any(getattr(one, name) not in (None, "") for one in sets)] or ["name"]
    out = io.StringIO()
    writer = csv.writer(out, lineterminator="\r\n")
    writer.writerow([words_for(title_of(name)) for name in used])
    for one in sets:
        writer.writerow([_cell(getattr(one, name)) for name in used])
    return out.getvalue()


def propose(
    text: str,
    mapping: Mapping[str, str],
    units_of: Mapping[str, str],
    units: UnitSystem,
    room: int,
    now: str,
    zone: str = "",
) -> CsvProposal:
    """What a CSV file would bring in.

    :param mapping: for each heading the field it stands for, where a person said so; empty leaves it out.
    :param units_of: for each heading the unit of its bare numbers, where a person said so.
    :param units: the reader's units, for what neither heading nor person said.
    :param room: how many sets the job still has room for. :param now: the time now, as sets say it.
    :param zone: name of the time zone in which the times of the file are; UTC for none.
    :raises CsvRefused: no table, too large, or more rows than there is room for.
    """
    rows = _rows(text)
    headings = [heading.strip() for heading in rows[0]]
    if len(rows) - 1 > room:
        raise CsvRefused(
            say("readings-csv-propose-file-rows", rows=Number(len(rows) - 1, ","), room=room, most_sets=MOST_SETS)
        )
    columns = [_column(heading, place, rows, mapping, units_of) for place, heading in enumerate(headings)]
    taken = [column.field for column in columns if column.field]
    twice = next((field for field in taken if taken.count(field) > 1), None)
    if twice:
        raise CsvRefused(say("readings-csv-propose-two-columns", title_of=title_of(twice)))
    clock = zone_of(zone)
    sets, bad = [], []
    for line, row in enumerate(rows[1:], 2):
        try:
            sets.append(_set(row, columns, units, now, clock))
        except Refusal as refusal:
            bad.append(CsvRow(line=line, reason=refusal.sentence))
    return CsvProposal(
        columns=columns,
        unknown=[column.heading for column in columns if not column.field and column.heading not in mapping],
        good=len(sets),
        bad=bad[:MOST_TOLD],
        sets=sets,
    )


def title_of(field: str) -> str:
    """How a field is called in the head of a table."""
    return ReadingSet.model_fields[field].title or field


def _rows(text: str) -> list[list[str]]:
    if len(text) > LARGEST_CSV:
        lines = text.count("\n")
        raise CsvRefused(
            say(
                "readings-csv-rows-file-lines",
                lines=Number(lines, ","),
                text=Number(len(text), ","),
                largest_csv=Number(LARGEST_CSV, ","),
            )
        )
    if "\0" in text:
        raise CsvRefused(say("readings-csv-rows-text-table"))
    sample = text[:4000]
    mark = max(",;\t", key=sample.split("\n", 1)[0].count)
    rows = [row for row in rows_of(text, mark, CsvRefused) if any(row)]
    if len(rows) < 2 or len(rows[0]) > MOST_COLUMNS:
        raise CsvRefused(say("readings-csv-rows-table-head", most_columns=MOST_COLUMNS))
    return rows


def _column(
    heading: str, place: int, rows: list[list[str]], mapping: Mapping[str, str], units_of: Mapping[str, str]
) -> CsvColumn:
    bare, unit = heading_and_unit(heading)
    field = mapping.get(heading, _guess(bare))
    if field and field not in FIELDS:
        raise CsvRefused(say("readings-csv-column-set-field", field=field[:40]))
    name = quantity_of(ReadingSet, field) if field else None
    unit = units_of.get(heading, unit if name and quantity(name).unit_named(unit) else "")
    if name and unit and quantity(name).unit_named(unit) is None:
        raise CsvRefused(say("readings-csv-column-unit", unit=unit, title_of=title_of(field)))
    sample = next((row[place] for row in rows[1:] if place < len(row) and row[place].strip()), "")
    return CsvColumn(heading=heading, field=field, unit=unit if name else "", sample=sample[:40])


def _guess(heading: str) -> str:
    return _headings().get(_plain(heading), LEAVE_OUT)


@cache
def _headings() -> dict[str, str]:
    """The fields by what may stand at the head of their column: their names, and what they are called in any language."""
    titles = {_plain(title): field for field in FIELDS for title in in_each_language(title_of(field))}
    names = {name: field for field in FIELDS for name in (field, field.replace("_", " "))}
    return FORMER_HEADINGS | titles | names


def _plain(heading: str) -> str:
    return heading.strip().lower().strip("¿?")


def _set(row: list[str], columns: list[CsvColumn], units: UnitSystem, now: str, clock: tzinfo) -> dict[str, Any]:
    data: dict[str, Any] = {"id": "new"}
    for column, cell in zip(columns, row, strict=False):
        text = plain_text(cell.strip())
        if not column.field or not text:
            continue
        if is_moment(ReadingSet, column.field):
            text = kept_of(clock, text)
        name = quantity_of(ReadingSet, column.field)
        unit = column.unit or (quantity(name).reader_unit(units).symbol if name else "")
        data[column.field] = {"typed": text, "unit": unit} if name else text
    try:
        reading = ReadingSet.model_validate(data)
    except QuantityRefused:
        raise
    except ValidationError as error:
        place, reason = first_reason(error)
        field = place.split("/")[0]
        told = title_of(field) if field in FIELDS else say("readings-csv-set-row")
        raise CsvRefused(say("readings-csv-set-unfit", told=told, reason=reason)) from error
    if reading.is_empty:
        raise CsvRefused(say("readings-csv-set-reading"))
    refuse_future(reading, now)
    return {
        name: value for name, value in reading.model_dump(mode="json").items() if value is not None and name != "id"
    }


def _cell(value: Any) -> str:
    if isinstance(value, Entry):
        return value.with_unit
    return "" if value is None else safe_text(words_for(str(value)))
