"""Cells of tables that go out and come in: no words become a formula, no heading takes long to read."""

from __future__ import annotations

import csv
import io

from modest_rotor.core.errors import Refusal
from modest_rotor.core.say import Number, say

FORMULA_SIGNS = ("=", "+", "-", "@")
"""What a spreadsheet takes for a formula at the beginning of a cell, also behind blanks."""
LONGEST_CELL = 300
BRACKETS = {")": "(", "]": "["}


def safe_text(text: str) -> str:
    """Words as every table that goes out holds them: no formula, and nothing that a spreadsheet cannot hold.

    Words that begin like a formula get an apostrophe before them; control characters become blanks. Source: common practice
    against formulas in exported tables.
    """
    plain = "".join(sign if sign.isprintable() or sign == "\n" else " " for sign in text)
    begins = plain.lstrip().startswith(FORMULA_SIGNS) or text[:1] in ("\t", "\r")
    return f"'{plain}" if begins else plain


def plain_text(cell: str) -> str:
    """Words as they were before :func:`safe_text`."""
    bare = cell[1:]
    return bare if cell.startswith("'") and bare.lstrip().startswith(FORMULA_SIGNS) else cell


def rows_of(text: str, mark: str, refused: type[Refusal], longest: int = LONGEST_CELL) -> list[list[str]]:
    """The rows of a table as text, its cells without blanks around them.

    :raises Refusal: of the kind ``refused``: no table, or a cell that is longer than any reading or name.
    """
    try:
        rows = [[cell.strip() for cell in row] for row in csv.reader(io.StringIO(text), delimiter=mark)]
    except csv.Error as error:
        raise refused(say("cells-rows-of-csv-nothing", error=error)) from error
    # Bounded first: whatever looks at cells later looks at short ones.
    for line, row in enumerate(rows, 1):
        if any(len(cell) > longest for cell in row):
            raise refused(say("cells-rows-of-row-cell", line=line, longest=Number(longest, ",")))
    return rows


def heading_and_unit(heading: str) -> tuple[str, str]:
    """A heading and the unit that stands in brackets at its end, empty where none does."""
    bare = heading.strip()
    opening = BRACKETS.get(bare[-1:])
    at = bare.rfind(opening) if opening else -1
    if at < 0:
        return bare, ""
    return bare[:at].strip(), bare[at + 1 : -1].strip()
