"""The trade's terms, each told in one sentence, with its source and where it is asked for."""

from __future__ import annotations

from functools import cache

from modest_rotor.core.job import Station
from modest_rotor.core.phrase import Frozen
from modest_rotor.core.tables import read_table


class Term(Frozen):
    """One term of the trade."""

    code: str
    term: str
    station: Station
    """Where it is met first."""
    sentence: str
    source: str
    labels: tuple[str, ...]
    """What results and columns that show it are headed."""
    working: str | None
    """The calculation that uses it, by name."""


@cache
def all_terms() -> tuple[Term, ...]:
    """Every term, by its code; each with one sentence and the standard or handbook that defines it, as table ``glossary`` says."""
    return tuple(
        Term(
            code=row["code"],
            term=row["term"],
            station=Station(row["station"]),
            sentence=row["sentence"],
            source=row["source"],
            labels=tuple(label for label in row["labels"].split("|") if label),
            working=row["working"] or None,
        )
        for row in read_table("glossary")
    )


@cache
def term_of_field(path: str) -> str | None:
    """The code of the term that the field at a path (``nameplate/frame``, ``readings/*/tap``) asks for; none where it is an everyday word."""
    return next((row["code"] for row in read_table("glossary") if path in row["fields"].split()), None)
