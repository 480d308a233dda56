"""Which messages were said: by their codes, the same in every language."""

from __future__ import annotations

from collections.abc import Iterator
from typing import Any

from modest_rotor.core.say import Shaped, Words


def code_of(said: Any) -> str | None:
    """The code of the message that was said; nothing of plain text."""
    return said.code if isinstance(said, Words) else None


def codes_in(said: Any) -> Iterator[str]:
    """The codes of every message in what was said, a message before those that stand in it: in text, a phrase, or several of them."""
    if isinstance(said, Words):
        yield said.code
        yield from codes_in(tuple(said.values.values()))
    elif isinstance(said, Shaped):
        yield from codes_in(said.text)
    elif isinstance(said, tuple | list | set | frozenset):
        for one in said:
            yield from codes_in(one)
