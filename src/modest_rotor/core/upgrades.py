"""Jobs grow old well: what brings a document of each version that shipped to the next."""

from __future__ import annotations

from collections.abc import Callable
from typing import Any, Literal

Document = dict[str, Any]
NEWEST: Literal[2] = 2


def words_to_codes(document: Document) -> Document:
    """From 1 to 2: answers and kinds are codes, where they were the words that stood on the screen.

    Each enumeration reads the words of version 1 by itself (:class:`modest_rotor.core.coded.Coded`): the edits of a job's history, which
    hold them one by one, are read the same way, so nothing is left to be done to a document as a whole.
    """
    return document


UPGRADERS: dict[int, Callable[[Document], Document]] = {1: words_to_codes}
"""By the version that each reads."""


def upgraded(document: Document) -> Document:
    """A document as the newest version has it. One of a later version stays as it is, to be refused by whoever reads it."""
    while isinstance(version := document.get("version", NEWEST), int) and version in UPGRADERS:
        document = {**UPGRADERS[version](document), "version": version + 1}
    return document
