"""Results kept from one assessment to the next: a value that is passed in, so that the core itself remembers nothing."""

from __future__ import annotations

from collections.abc import Callable, Hashable
from typing import Protocol, TypeVar, cast

Answer = TypeVar("Answer")


class Memo(Protocol):
    """Whoever keeps results; the API keeps the newest, a test keeps none."""

    def kept(self, key: Hashable, work: Callable[[], Answer]) -> Answer:
        """The result kept under a key, or else what ``work`` gives now.

        :param key: everything that ``work`` depends on, by value.
        """


class NoMemo:
    """Keeps nothing: everything is worked out anew."""

    def kept(self, key: Hashable, work: Callable[[], Answer]) -> Answer:
        """What ``work`` gives."""
        return work()


NOTHING_KEPT = NoMemo()


class WithinOne:
    """Keeps everything, and is let go with the assessment that it was made for: what two parts ask for is worked out once."""

    def __init__(self) -> None:
        self._results: dict[Hashable, object] = {}

    def kept(self, key: Hashable, work: Callable[[], Answer]) -> Answer:
        """The result of the first who asked."""
        if key not in self._results:
            self._results[key] = work()
        return cast(Answer, self._results[key])
