"""Work that a request has done elsewhere: files and pictures in bounded processes, drafts by the solvers."""

from __future__ import annotations

import asyncio
from collections.abc import Callable
from threading import BoundedSemaphore, Event
from typing import Any, TypeVar

from anyio import CapacityLimiter, to_thread
from fastapi import Request

from modest_rotor.core.say import say
from modest_rotor.workers.bounded import AT_ONCE, LONGEST_S, MOST_MEMORY, bounded
from modest_rotor.workers.process import TookTooLong
from modest_rotor.workers.solvers import SOLVERS

Answer = TypeVar("Answer")
LOOK_EVERY_S = 0.25
LONGEST_LOOK_S = 15.0
_waiting = CapacityLimiter(40)
"""Threads that only wait for a process: of their own, so that no page waits behind a file."""


async def in_process(
    request: Request,
    work: Callable[..., Answer],
    *arguments: Any,
    seconds: float = LONGEST_S,
    memory: int = MOST_MEMORY,
    at_once: BoundedSemaphore = AT_ONCE,
) -> Answer:
    """Do some work in a bounded process, which ends as well when whoever asked goes away."""
    gone = Event()

    async def watch() -> None:
        while not await request.is_disconnected():
            await asyncio.sleep(LOOK_EVERY_S)
        gone.set()

    watching = asyncio.create_task(watch())
    try:
        return await to_thread.run_sync(
            lambda: bounded(work, *arguments, seconds=seconds, memory=memory, cancelled=gone.is_set, at_once=at_once),
            limiter=_waiting,
        )
    finally:
        watching.cancel()


async def solved(work: Callable[..., Answer], *arguments: Any, **how: Any) -> Answer:
    """Have something worked out by a solver without holding a thread meanwhile.

    :raises Overtaken: the same window asked something newer. :raises TookTooLong: no answer came in time.
    """
    if not SOLVERS.running:
        return await to_thread.run_sync(lambda: SOLVERS.solve(work, *arguments, **how), limiter=_waiting)
    try:
        return await asyncio.wait_for(asyncio.wrap_future(SOLVERS.ask(work, *arguments, **how)), LONGEST_LOOK_S)
    except TimeoutError as error:
        raise TookTooLong(say("apart-module")) from error
