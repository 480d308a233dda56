"""One piece of work in a process of its own, with a bound on time and memory: for files and pictures that anybody may send."""

from __future__ import annotations

import resource
import time
from collections.abc import Callable
from multiprocessing.connection import Connection
from threading import BoundedSemaphore
from typing import Any, TypeVar

from modest_rotor.core.errors import Refusal
from modest_rotor.core.say import Number, say
from modest_rotor.workers.process import answer_of, context, ends_with_its_server, portable

Answer = TypeVar("Answer")
LONGEST_S = 10.0
MOST_MEMORY = 1_500_000_000
"""Address space of such a process, bytes: the libraries it stands on take the most of it."""
LOOK_EVERY_S = 0.02
AT_ONCE = BoundedSemaphore(2)
"""As many at once as there are cores; the others wait, each no longer than its own bound."""


class TooMuch(Refusal):
    """What was sent takes more time or memory than one file or picture may."""


def bounded(
    work: Callable[..., Answer],
    *arguments: Any,
    seconds: float = LONGEST_S,
    memory: int = MOST_MEMORY,
    cancelled: Callable[[], bool] = lambda: False,
    at_once: BoundedSemaphore = AT_ONCE,
) -> Answer:
    """Do some work in a process of its own.

    :param work: a function of a module; its arguments and its answer go from process to process.
    :param seconds: how long it may take. :param memory: address space it may have, bytes.
    :param cancelled: whether nobody waits for it any more; asked all the while.
    :raises TooMuch: it took more than it may.
    """
    if not at_once.acquire(timeout=seconds):
        raise TooMuch(say("bounded"))
    try:
        here, there = context().Pipe()
        process = context().Process(target=_work, args=(there, memory, seconds, work, arguments), daemon=True)
        process.start()
        there.close()
        try:
            return answer_of(_wait(here, seconds, cancelled))  # type: ignore[no-any-return]
        finally:
            here.close()
            process.kill()
            process.join()
    finally:
        at_once.release()


def _wait(here: Connection, seconds: float, cancelled: Callable[[], bool]) -> tuple[bool, Any]:
    until = time.monotonic() + seconds
    while not here.poll(LOOK_EVERY_S):
        if cancelled():
            raise TooMuch(say("bounded-wait-nobody-waits"))
        if time.monotonic() > until:
            raise TooMuch(say("bounded-wait-could-read", seconds=Number(seconds, ".0f")))
    try:
        return here.recv()  # type: ignore[no-any-return]
    except (EOFError, OSError) as error:
        raise TooMuch(say("bounded-wait-could-read-memory")) from error


def _work(there: Connection, memory: int, seconds: float, work: Callable[..., Any], arguments: tuple[Any, ...]) -> None:
    ends_with_its_server()
    resource.setrlimit(resource.RLIMIT_AS, (memory, memory))
    resource.setrlimit(resource.RLIMIT_CPU, (int(seconds) + 1, int(seconds) + 2))
    try:
        answer: tuple[bool, Any] = (True, work(*arguments))
    except MemoryError:
        answer = (False, TooMuch(say("bounded-work")))
    except BaseException as error:
        answer = (False, portable(error))
    there.send(answer)
