"""What was said, by its messages: tests name a message and its values, so that a sentence is changed in one place alone."""

from __future__ import annotations

from collections.abc import Iterator
from contextlib import contextmanager
from typing import Any

import pytest

from modest_rotor.core.said_codes import codes_in


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
