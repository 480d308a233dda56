"""Jobs grow old well: what brings a document of each version that shipped to the next, and an edit of its history with it."""

from __future__ import annotations

from collections.abc import Callable
from typing import Any, Literal

Document = dict[str, Any]
NEWEST: Literal[3] = 3
OLDEST = 1
"""What a document without a version is taken for: an upgrader leaves alone what it does not know."""
TERMS_OF_3 = {
    "plate": "nameplate",
    "machine/wheel": "machine/type",
    "duty/held_pressure": "duty/static_pressure_set_point",
    "duty/run_up": "duty/starting_time",
    "options/considered": "options/candidates",
    "options/tightness": "options/resistance_factor",
    "setup/link": "setup/voltage_selector",
}
"""Paths of version 2, and those of version 3 in the trade's standard terms; a path names a place as an edit does."""
STEPS_OF_3 = {"link": "voltage_selector"}
"""Steps of set-up that are signed, by their names in version 2."""


def words_to_codes(document: Document) -> Document:
    """From 1 to 2: answers and kinds are codes, where they were the words that stood on the screen.

    Each enumeration reads the words of version 1 by itself (:class:`modest_rotor.core.coded.Coded`): the edits of a job's history, which
    hold them one by one, are read the same way, so nothing is left to be done to a document as a whole.
    """
    return document


def standard_terms(document: Document) -> Document:
    """From 2 to 3: parts and fields have the trade's standard terms for names."""
    parts = {"machine": document.get("machine"), **_dict(document.get("document"))}
    renamed = _with_terms(parts)
    machine = {"machine": renamed["machine"]} if "machine" in document else {}
    rest = {name: part for name, part in renamed.items() if name != "machine"}
    inner = {"document": rest} if isinstance(document.get("document"), dict) else {}
    return {**document, **machine, **inner}


UPGRADERS: dict[int, Callable[[Document], Document]] = {1: words_to_codes, 2: standard_terms}
"""By the version that each reads."""


def upgraded(document: Document) -> Document:
    """A document as the newest version has it. One of a later version stays as it is, to be refused by whoever reads it."""
    while isinstance(version := document.get("version", OLDEST), int) and version in UPGRADERS:
        document = {**UPGRADERS[version](document), "version": version + 1}
    return document


def path_today(path: str) -> str:
    """Where stands today what stood at a path in an earlier version: edits of a history, and of a page that was opened before."""
    for before, now in TERMS_OF_3.items():
        if path == before or path.startswith(f"{before}/"):
            return now + path.removeprefix(before)
    return path


def value_today(path: str, value: Any) -> Any:
    """What an edit of version 2 set at a path, under the names of today. :param path: as it was then."""
    *above, last = path.split("/")
    whole: Any = {last: value}
    for step in reversed(above):
        whole = {step: whole}
    found = _with_terms(whole)
    for step in path_today(path).split("/"):
        found = found[step]
    return found


def _with_terms(parts: Document) -> Document:
    """Parts of a document, as deep as they are given, under the names of version 3; what was given stays as it was.

    Where both names stand, neither is dropped: whoever reads it refuses the one that is none.
    """
    parts = dict(parts)
    for before, now in TERMS_OF_3.items():
        root, _, field = before.partition("/")
        if not field:
            parts = _renamed(parts, before, now)
        elif root in parts:
            parts[root] = _renamed(parts[root], field, now.removeprefix(f"{root}/"))
    signs = _dict(parts.get("setup")).get("signs")
    if isinstance(signs, list | tuple):
        parts["setup"] = parts["setup"] | {"signs": [_sign(one) for one in signs]}
    return parts


def _renamed(part: Any, before: str, now: str) -> Any:
    if not isinstance(part, dict) or before not in part or now in part:
        return part
    return {now if name == before else name: value for name, value in part.items()}


def _sign(sign: Any) -> Any:
    now = next((now for before, now in STEPS_OF_3.items() if _dict(sign).get("step") == before), None)
    return sign | {"step": now} if now else sign


def _dict(found: Any) -> Document:
    return found if isinstance(found, dict) else {}
