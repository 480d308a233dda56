"""What is said, kept to be read by others later: as its message and values, so that each reads it in their own language.

Text that was said becomes text that begins with :data:`MARK`; models read it back as it was said, inside :func:`said_again` alone: what
somebody sends or a file holds is never taken for a message, whatever it begins with.
"""

from __future__ import annotations

import json
from collections.abc import Iterator
from contextlib import contextmanager
from contextvars import ContextVar
from datetime import datetime
from enum import Enum
from typing import Any

from pydantic import BaseModel

from modest_rotor.core.say import Dated, Number, Reader, Said, Sentence, Shaped, is_message, reading

MARK = "\x02"
"""Before what is kept; text of people stands beside it and has no such sign."""
KEPT = Reader(language="kept")
_IS_READ: ContextVar[bool] = ContextVar("what was kept is read", default=False)


@contextmanager
def kept_for_all() -> Iterator[None]:
    """What models write as JSON inside is written to be kept, for readers of any language."""
    with reading(KEPT):
        yield


@contextmanager
def said_again() -> Iterator[None]:
    """What models read inside was kept by this program, and is said again."""
    token = _IS_READ.set(True)
    try:
        yield
    finally:
        _IS_READ.reset(token)


def is_kept(value: Any) -> bool:
    """Whether a value is a message as it was kept, and is read as such here."""
    return type(value) is str and value.startswith(MARK) and _IS_READ.get()


def to_keep(said: Said | Sentence) -> str:
    """What is said as text that :func:`as_said` reads back."""
    return MARK + json.dumps(_plain(said), ensure_ascii=False)


def as_said(kept: str) -> Any:
    """What was kept, said again; in plain words where the message is not known any more."""
    return _said(json.loads(kept.removeprefix(MARK)))


def _plain(value: Any) -> Any:
    if isinstance(value, Said | Sentence):
        words = "".join(piece for piece in value if isinstance(piece, str))
        kind = "say" if isinstance(value, Said) else "tell"
        return {kind: value.code, "with": {name: _plain(one) for name, one in value.values.items()}, "words": words}
    if isinstance(value, Number):
        return {"number": value.value, "as": value.spec}
    if isinstance(value, Dated):
        return {"date": value.when.isoformat(), "as": value.pattern}
    if isinstance(value, Shaped):
        return {"shaped": _plain(value.text), "as": value.how}
    if isinstance(value, Enum):
        return _plain(getattr(value, "label", value.value))
    if isinstance(value, BaseModel):
        return {"figure": value.model_dump(mode="json")}
    if isinstance(value, tuple | list):
        return [_plain(one) for one in value]
    return value


def _said(kept: Any) -> Any:
    if isinstance(kept, list):
        return tuple(map(_said, kept))
    if not isinstance(kept, dict):
        return kept
    if "number" in kept:
        return Number(kept["number"], kept["as"])
    if "date" in kept:
        return Dated(datetime.fromisoformat(kept["date"]), kept["as"])
    if "shaped" in kept:
        return Shaped(_said(kept["shaped"]), kept["as"])
    if "figure" in kept:
        from modest_rotor.core.phrase import Figure  # models of phrases read what is kept by this file

        return Figure.model_validate(kept["figure"])
    code = kept.get("say") or kept["tell"]
    if not is_message(code):
        return kept["words"] if "say" in kept else (kept["words"],)
    values = {name: _said(one) for name, one in kept["with"].items()}
    try:
        return Said(code, values) if "say" in kept else Sentence(code, values)
    except KeyError:  # the message asks for another value today
        return kept["words"] if "say" in kept else (kept["words"],)
