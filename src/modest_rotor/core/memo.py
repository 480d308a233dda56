"""Results kept from one assessment to the next: a value that is passed in, so that the core itself remembers nothing."""

from __future__ import annotations

from collections.abc import Callable, Hashable
from typing import Protocol, TypeVar

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
