"""What was said, by its messages: tests name a message and its values, so that a sentence is changed in one place alone."""

from __future__ import annotations

from collections.abc import Iterator
from contextlib import contextmanager
from typing import Any

import pytest

from modest_rotor.core.say import Shaped, Words


def codes_of(said: Any) -> frozenset[str]:
    """The codes of every message in what was said: in text, a phrase, a refusal, or several of them."""
    return frozenset(_codes(said))


def _codes(said: Any) -> Iterator[str]:
    if isinstance(said, BaseException):
        yield from _codes(getattr(said, "sentence", said.args))
    elif isinstance(said, Words):
        yield said.code
        yield from _codes(tuple(said.values.values()))
    elif isinstance(said, Shaped):
        yield from _codes(said.text)
    elif isinstance(said, tuple | list | set | frozenset):
        for one in said:
            yield from _codes(one)


@contextmanager
def refused_with(
    kind: type[Exception] | tuple[type[Exception], ...], code: str
) -> Iterator[pytest.ExceptionInfo[Exception]]:
    """What is done inside is refused with an error of a kind, by a message."""
    with pytest.raises(kind) as caught:
        yield caught
    assert code in codes_of(caught.value), f"{code} is not said by {caught.value!r}"
