"""A print of anything that the core says: what of it changed can be told without keeping all of it."""

from __future__ import annotations

import dataclasses
import hashlib
import math
from collections.abc import Iterator
from enum import Enum
from functools import cache
from typing import Any

import numpy as np
from pydantic import BaseModel

NEAR = 1e-4
"""Far more than what another processor rounds otherwise, far less than any slip of the pen."""
FLOOR = 1e-9
"""A number of this size counts no longer: what is left of two that cancel."""


PLAIN = frozenset((str, float, int, bool, type(None)))


class Print(BaseModel):
    """What is kept of one part."""

    words: str
    numbers: int
    weighed: float

    def like(self, other: Print) -> bool:
        """Whether two are prints of the same."""
        near = math.isclose(self.weighed, other.weighed, rel_tol=0.0, abs_tol=NEAR)
        return near and (self.words, self.numbers) == (other.words, other.numbers)


def print_of(value: Any) -> Print:
    """The print of anything that the core says: models, data classes, arrays, lists, words and numbers."""
    digest, numbers, weighed = hashlib.blake2s(digest_size=8), 0, 0.0
    for path, leaf in _leaves(value, ""):
        digest.update(path.encode())
        if isinstance(leaf, float) or (isinstance(leaf, int) and not isinstance(leaf, bool)):
            numbers += 1
            if math.isfinite(leaf):
                weighed += _weight(path) * math.copysign(math.log1p(abs(leaf) / FLOOR), leaf)
                continue
        digest.update((str.__repr__(leaf) if isinstance(leaf, str) else repr(leaf)).encode())
    return Print(words=digest.hexdigest(), numbers=numbers, weighed=weighed)


@cache
def _weight(path: str) -> float:
    """Between a half and three halves, another one at every place."""
    return 0.5 + int.from_bytes(hashlib.blake2s(path.encode(), digest_size=4).digest()) / 2**32


def _leaves(value: Any, path: str) -> Iterator[tuple[str, Any]]:
    if type(value) in PLAIN:  # most are, and a half a million are asked
        yield path, value
        return
    if isinstance(value, BaseModel):
        value = {name: getattr(value, name) for name in type(value).model_fields}
    elif dataclasses.is_dataclass(value) and not isinstance(value, type):
        value = {field.name: getattr(value, field.name) for field in dataclasses.fields(value)}
    if isinstance(value, np.ndarray | np.generic):
        value = value.tolist()
    if isinstance(value, dict):
        for name, one in value.items():
            yield from _leaves(one, f"{path}/{name}")
    elif isinstance(value, list | tuple | set | frozenset):
        for place, one in enumerate(sorted(value, key=str) if isinstance(value, set | frozenset) else value):
            yield from _leaves(one, f"{path}/{place}")
    elif isinstance(value, Enum):
        yield path, value.value
    else:
        yield path, value


def changes(before: dict[str, Print], now: dict[str, Print]) -> list[str]:
    """What of a scene is said otherwise, part by part."""
    told_of = []
    for part in {**before, **now}:
        one, other = before.get(part), now.get(part)
        if one is None or other is None:
            told_of.append(f"{part}: {'new' if one is None else 'gone'}")
        elif not one.like(other):
            words = "words or places; " if one.words != other.words else ""
            told_of.append(
                f"{part}: {words}{one.numbers} numbers, then {other.numbers}; moved by {other.weighed - one.weighed:.2g}"
            )
    return told_of
