"""The ground of both kinds of processes: one clean server to fork from, and answers that carry their error with them."""

from __future__ import annotations

import multiprocessing
import os
import signal
from functools import cache
from multiprocessing.context import ForkServerContext
from typing import Any

from modest_rotor.core.errors import ModestRotorError

PRELOADED = (
    "modest_rotor.core.assess",
    "modest_rotor.formats.log_csv",
    "modest_rotor.formats.readings_csv",
    "modest_rotor.formats.catalogue_files",
    "modest_rotor.formats.photo",
    "modest_rotor.store.solving",
)
"""Read once by the server that is forked from, so that a process begins in some milliseconds."""


class WorkerLost(ModestRotorError, RuntimeError):
    """The process that worked on it ended without an answer."""


class TookTooLong(ModestRotorError, RuntimeError):
    """It took longer, or more memory, than is given to one request."""


class Overtaken(ModestRotorError, RuntimeError):
    """Something newer was asked meanwhile by the same page, so this is not worked out any more."""


@cache
def context() -> ForkServerContext:
    """Where processes come from. Solvers use one thread each: they are as many as there are cores."""
    for name in ("OPENBLAS_NUM_THREADS", "OMP_NUM_THREADS"):
        os.environ.setdefault(name, "1")
    found = multiprocessing.get_context("forkserver")
    found.set_forkserver_preload(list(PRELOADED))
    return found


def ends_with_its_server() -> None:
    """Ctrl-C goes to everything in a terminal; a process beside the server ends when the server does, and says nothing."""
    signal.signal(signal.SIGINT, signal.SIG_IGN)


def portable(error: BaseException) -> BaseException:
    """An error that can go from process to process: a refusal as it is, anything else by its words."""
    if isinstance(error, ModestRotorError):
        return error
    return RuntimeError(f"{type(error).__name__}: {error}")


def answer_of(answered: tuple[bool, Any]) -> Any:
    """What a process gave. :raises Exception: what it raised."""
    sound, what = answered
    if sound:
        return what
    raise what
