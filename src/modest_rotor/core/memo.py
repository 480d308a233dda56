"""Results kept from one assessment to the next, by the content of what they were worked out from.

A function is called through a :class:`Keeper`. It is handed its arguments and nothing else, and what it gave is found again under
its name and the content of those very arguments, so that no list of what a result rests on can forget anything.
"""

from __future__ import annotations

import hashlib
from collections.abc import Callable, Hashable
from typing import ParamSpec, Protocol, TypeVar, cast

from modest_rotor.core.content import NAME_BYTES, Contents

Answer = TypeVar("Answer")
Handed = ParamSpec("Handed")


class Memo(Protocol):
    """Where results stay; the API holds the newest of many assessments. The core itself remembers nothing."""

    def kept(self, key: Hashable, work: Callable[[], Answer]) -> Answer:
        """The result kept under a key, or else what ``work`` gives now.

        :param key: everything that ``work`` depends on, by value.
        """


class WithinOne:
    """Keeps everything, and is let go with the assessment that it was made for: what two parts ask for is worked out once."""

    def __init__(self) -> None:
        self._results: dict[Hashable, object] = {}

    def kept(self, key: Hashable, work: Callable[[], Answer]) -> Answer:
        """The result of the first who asked."""
        if key not in self._results:
            self._results[key] = work()
        return cast(Answer, self._results[key])


class Keeper:
    """Calls functions, or gives what they gave when they were last handed the same.

    What a call gives is known from then on by that call: whoever is handed it need not look into it.
    """

    def __init__(self, memo: Memo | None = None) -> None:
        self.memo: Memo = WithinOne() if memo is None else memo
        self.contents = Contents()

    def __call__(self, work: Callable[Handed, Answer], *handed: Handed.args, **named: Handed.kwargs) -> Answer:
        """What a function gives for its arguments.

        :param work: a function of a module that depends on nothing but what it is handed.
        :raises TypeError: an argument whose content cannot be told.
        """
        told = [self.contents.of(one) for one in (*handed, *named.values())]
        return self.under(key_of(work, (*told, ",".join(named.keys()))), lambda: work(*handed, **named))

    def under(self, key: str, work: Callable[[], Answer]) -> Answer:
        """What ``work`` gives, known from then on by a key that says all it rests on."""
        answer = self.memo.kept(key, work)
        self.contents.name(answer, key)
        return answer


def key_of(work: Callable[..., object], told: tuple[str, ...]) -> str:
    """The name of a call: of the function, and of the content of each of its arguments."""
    text = "\n".join((f"{work.__module__}.{work.__qualname__}", *told))
    return hashlib.blake2b(text.encode(), digest_size=NAME_BYTES).hexdigest()
