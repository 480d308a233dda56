"""Short names for values by what they hold: two values of one content have the same name, whoever made them, and only they."""

from __future__ import annotations

import hashlib
from collections.abc import Iterator, Mapping
from dataclasses import fields, is_dataclass
from enum import Enum
from functools import cache
from typing import get_args

import numpy as np
from pydantic import BaseModel

from modest_rotor.core.say import Sentence

NAME_BYTES = 16
"""Two among a million million values have the same name once in ten to the fifteenth."""
PLAIN = (bool, int, float, str, bytes, type(None))


@cache
def _keeps_back(model: type[BaseModel]) -> bool:
    """Whether a model, or one that it holds, leaves out some of its fields where it is written."""
    return any(
        info.exclude or any(map(_keeps_back, _models_in(info.annotation))) for info in model.model_fields.values()
    )


def _models_in(annotation: object) -> Iterator[type[BaseModel]]:
    if isinstance(annotation, type) and issubclass(annotation, BaseModel):
        yield annotation
    for part in get_args(annotation):
        yield from _models_in(part)


class Contents:
    """The names of values, each worked out once while it is held here.

    Known are numbers, text, members of enumerations, arrays, tuples, mappings, frozen dataclasses and models, and objects without
    behaviour of their own that hold only these. What is made of frozen parts never changes, so its name holds.
    """

    def __init__(self) -> None:
        self._named: dict[int, tuple[object, str]] = {}

    def name(self, value: object, name: str) -> None:
        """Give a value a name that says as much: that of the work and of all that it was made from."""
        self._named[id(value)] = (value, name)

    def of(self, value: object) -> str:
        """The name of a value.

        :raises TypeError: of something whose content cannot be told, such as a function.
        """
        if isinstance(value, PLAIN) and not isinstance(value, Enum):
            return f"{type(value).__name__} {value!r}"
        known = self._named.get(id(value))
        if known is not None and known[0] is value:
            return known[1]
        name = hashlib.blake2b(self._told(value).encode(), digest_size=NAME_BYTES).hexdigest()
        self._named[id(value)] = (value, name)  # held as well, so that its number is nobody else's meanwhile
        return name

    def _told(self, value: object) -> str:
        kind = f"{type(value).__module__}.{type(value).__qualname__}"
        if isinstance(value, Enum):
            return f"{kind}.{value.name}"
        if isinstance(value, BaseModel):
            if _keeps_back(type(value)):
                raise TypeError(f"a {kind} is not told whole where it is written")
            return f"{kind} {value.model_dump()!r}"  # JSON would write what is no number as nothing
        if is_dataclass(value) and not isinstance(value, type):
            return self._listed(kind, [getattr(value, one.name) for one in fields(value) if one.compare])
        if isinstance(value, Sentence):
            return f"{kind} {value!r}"
        if isinstance(value, tuple):
            return self._listed(kind, value)
        if isinstance(value, Mapping):
            return self._listed(kind, [part for item in value.items() for part in item])
        if isinstance(value, (np.ndarray, np.generic)):
            return f"{kind} {value.dtype} {value.shape} {value.tobytes().hex()}"
        held = getattr(value, "__dict__", None)
        if held is None or callable(value):
            raise TypeError(f"the content of a {kind} cannot be told")
        return self._listed(kind, [part for item in held.items() for part in item])

    def _listed(self, kind: str, parts: list[object] | tuple[object, ...]) -> str:
        return f"{kind}({','.join(map(self.of, parts))})"
