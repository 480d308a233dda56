"""Looking a value up in a table: exactly, or between its rows; outside it refuses and says what the table holds."""

from __future__ import annotations

from bisect import bisect_right

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.say import Number, joined, say
from modest_rotor.core.tables import Row, heading, read_table

SAME = 2e-3
"""Relative difference within which a size is the same size: 0.333 hp is a third."""


def rows_of(name: str, **wanted: str) -> list[Row]:
    """The rows of a table whose columns equal ``wanted``.

    :raises OutsideValidity: there is none; the sentence says which values each column has.
    """
    rows = [row for row in read_table(name) if all(row[column] == value for column, value in wanted.items())]
    if not rows:
        asked = joined(", ", (f"{column.replace('_', ' ')} {value}" for column, value in wanted.items()))
        has = joined(
            "; ",
            (
                f"{column.replace('_', ' ')}: {', '.join(dict.fromkeys(row[column] for row in read_table(name)))}"
                for column in wanted
            ),
        )
        raise OutsideValidity(say("lookup-rows-of", heading=heading(name)["title"], asked=asked, has=has))
    return rows


AS_PRINTED = 0.022
"""The same for sizes that plates print with two digits: 0.33 hp is a third, 0.17 hp a sixth. Standard sizes lie far wider apart."""


def at_size(name: str, rows: list[Row], column: str, value: float, unit: str, within: float = SAME) -> Row:
    """The row whose size is ``value``; tables of standard sizes are not interpolated.

    :param within: share of a size by which a printed one may leave it.
    :raises OutsideValidity: no such size; the sentence names those that the table has.
    """
    nearest = min(rows, key=lambda row: abs(float(row[column]) - value))
    if abs(float(nearest[column]) - value) <= within * abs(value):
        return nearest
    sizes = joined(", ", (f"{float(row[column]):g}" for row in rows))
    raise OutsideValidity(
        say("lookup-at-size", heading=heading(name)["title"], value=Number(value, "g"), unit=unit, sizes=sizes)
    )


def between(name: str, rows: list[Row], column: str, result: str, value: float, unit: str) -> float:
    """A value between the rows of a table, linearly.

    :param column: the column that grows and is looked in. :param result: the column that is given.
    :raises OutsideValidity: ``value`` lies outside the table.

    Source: definition of linear interpolation.
    """
    known = [float(row[column]) for row in rows]
    if not known[0] <= value <= known[-1]:
        raise OutsideValidity(
            say(
                "lookup-between",
                value=Number(value, "g"),
                unit=unit,
                heading=heading(name)["title"],
                known=Number(known[0], "g"),
                known_2=Number(known[-1], "g"),
            )
        )
    upper = min(bisect_right(known, value), len(known) - 1)
    share = (value - known[upper - 1]) / (known[upper] - known[upper - 1])
    low, high = (float(rows[place][result]) for place in (upper - 1, upper))
    return low + share * (high - low)
