"""Reference data as CSV files, each headed by its title, its source and its units.

Lines that begin with ``#`` are the heading. A look-up that finds nothing refuses; nothing is taken from a neighbour row.
"""

import csv
from functools import cache, lru_cache
from importlib.resources import files

from modest_rotor.core.errors import OutsideValidity

Row = dict[str, str]


@cache
def read_table(name: str) -> tuple[Row, ...]:
    """All rows of the table ``name`` (without ``.csv``), each a mapping from column to text."""
    text = files(__package__).joinpath(f"{name}.csv").read_text(encoding="utf-8")
    body = [line for line in text.splitlines() if line.strip() and not line.startswith("#")]
    return tuple(csv.DictReader(body, skipinitialspace=True))


@cache
def heading(name: str) -> dict[str, str]:
    """The heading of a table: ``title``, ``source`` and whatever else its ``# key: value`` lines say."""
    text = files(__package__).joinpath(f"{name}.csv").read_text(encoding="utf-8")
    pairs = (line[1:].split(":", 1) for line in text.splitlines() if line.startswith("#") and ":" in line)
    return {key.strip(): value.strip() for key, value in pairs}


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
    raise OutsideValidity(f"The table “{heading(name)['title']}” has no row for {described}.")
