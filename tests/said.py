"""What was said, by its messages: tests name a message and its values, so that a sentence is changed in one place alone."""

from __future__ import annotations

import re
from collections.abc import Iterator
from contextlib import contextmanager
from typing import Any

import pytest

from modest_rotor.core.said_codes import codes_in
from modest_rotor.core.say import _catalogue


def codes_of(said: Any) -> frozenset[str]:
    """The codes of every message in what was said: in text, a phrase, a refusal, or several of them."""
    if isinstance(said, BaseException):
        said = getattr(said, "sentence", said.args)
    return frozenset(codes_in(said))


@contextmanager
def refused_with(
    kind: type[Exception] | tuple[type[Exception], ...], code: str
) -> Iterator[pytest.ExceptionInfo[Exception]]:
    """What is done inside is refused with an error of a kind, by a message."""
    with pytest.raises(kind) as caught:
        yield caught
    assert code in codes_of(caught.value), f"{code} is not said by {caught.value!r}"


def says(code: str, text: Any) -> bool:
    """Whether a message stands in English text, whatever its values are: for text that has left the program, which names no message.

    :param text: what was sent, printed or drawn; a phrase with figures counts with its words alone.
    """
    return re.search(_pattern(_catalogue("en")[code]), _flat(text), re.IGNORECASE | re.DOTALL) is not None


def _pattern(message: Any) -> str:
    """The regular expression of a message: its words with any space between them, any value, any of its cases."""
    if isinstance(message, str):
        return r"\s+".join(map(re.escape, re.split(r"\s+", message)))
    if isinstance(message, list | tuple):
        return "".join(map(_pattern, message))
    return "(?:" + "|".join(map(_pattern, message["cases"].values())) + ")" if "cases" in message else ".*?"


def _flat(text: Any) -> str:
    if isinstance(text, list | tuple):
        return "".join(map(_flat, text))
    return text if isinstance(text, str) else ""
