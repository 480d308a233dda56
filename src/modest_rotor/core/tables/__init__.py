"""Reference data as CSV files, each headed by its title, its source and its units.

Lines that begin with ``#`` are the heading. A look-up that finds nothing refuses; nothing is taken from a neighbour row. The columns that
the heading names as ``words`` are read by people: their English stands in the table, each cell is a message of its own, called by table, column
and the columns named as ``key``.
"""

import csv
import re
from collections import Counter
from collections.abc import Iterator
from functools import cache, lru_cache
from importlib.resources import files

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.say import say

Row = dict[str, str]


@cache
def read_table(name: str) -> tuple[Row, ...]:
    """All rows of the table ``name`` (without ``.csv``), each a mapping from column to text."""
    rows = written_rows(name)
    for number, column, code in _codes(name, rows):
        rows[number][column] = say(code)
    return tuple(rows)


@cache
def heading(name: str) -> dict[str, str]:
    """The heading of a table: ``title``, ``source`` and whatever else its ``# key: value`` lines say."""
    return {**written_heading(name), "title": say(_code(name, "title", []))}


def written_rows(name: str) -> list[Row]:
    """The rows of a table as they are written."""
    body = [line for line in _text(name).splitlines() if line.strip() and not line.startswith("#")]
    return list(csv.DictReader(body, skipinitialspace=True))


def written_heading(name: str) -> dict[str, str]:
    """The heading of a table as it is written."""
    pairs = (line[1:].split(":", 1) for line in _text(name).splitlines() if line.startswith("#") and ":" in line)
    return {key.strip(): value.strip() for key, value in pairs}


def messages_of(name: str) -> dict[str, str]:
    """The English of every message that a table holds, by code."""
    rows = written_rows(name)
    found = {code: rows[number][column] for number, column, code in _codes(name, rows)}
    return {_code(name, "title", []): written_heading(name).get("title", name)} | found


def _codes(name: str, rows: list[Row]) -> Iterator[tuple[int, str, str]]:
    """Row, column and code of every cell that is a message."""
    head, taken = written_heading(name), Counter[str]()
    keys = head.get("key", "").split()
    for number, row in enumerate(rows):
        for column in head.get("words", "").split():
            if row[column]:
                code = _code(name, column, [row[key] for key in keys])
                taken[code] += 1
                yield number, column, code if taken[code] == 1 else f"{code}-{taken[code]}"


def _code(name: str, column: str, key: list[str]) -> str:
    return re.sub(r"[^A-Za-z0-9]+", "-", "-".join(["table", name, column, *key])).strip("-")


def _text(name: str) -> str:
    return files(__package__).joinpath(f"{name}.csv").read_text(encoding="utf-8")


@lru_cache(maxsize=4096)
def _row(name: str, wanted: tuple[tuple[str, str], ...]) -> Row | None:
    """The first row that fits; the tables never change, so what was found once is found."""
    return next((row for row in read_table(name) if all(row[column] == value for column, value in wanted)), None)


def find_row(name: str, **wanted: str) -> Row:
    """The one row whose columns equal ``wanted``; refuses when there is none."""
    found = _row(name, tuple(wanted.items()))
    if found is not None:
        return found
    described = ", ".join(f"{column} {value}" for column, value in wanted.items())
    raise OutsideValidity(say("tables-no-row", title=heading(name)["title"], described=described))
