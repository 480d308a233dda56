"""Solvers: processes that work out assessments beside the server, fair between people and newest text first.

A solver remembers what it worked out, so each job keeps going to the same one while that is no slower. Where none was started
(tests, the command line) work is done where it is asked for.
"""

from __future__ import annotations

import gc
import logging
import time
from collections import OrderedDict
from collections.abc import Callable, Hashable
from concurrent.futures import Future
from dataclasses import dataclass, field
from enum import IntEnum
from itertools import count
from multiprocessing.connection import Connection
from threading import Condition, Thread
from typing import Any, TypeVar

from modest_rotor.core.say import Reader, reader, reading, say
from modest_rotor.workers.process import (
    Overtaken,
    TookTooLong,
    WorkerLost,
    answer_of,
    context,
    ends_with_its_server,
    portable,
)

log = logging.getLogger(__name__)
Answer = TypeVar("Answer")
LONGEST_S = 20.0
"""What one piece of work may take; a solver that takes longer is ended and another begun."""
NOBODY = "nobody"
_numbers = count(1)


class Level(IntEnum):
    """What comes first: a save that somebody waits for, a first look at a draft, what refines it."""

    SAVE = 0
    LOOK = 1
    REFINED = 2


@dataclass
class _Task:
    work: Callable[..., Any]
    arguments: tuple[Any, ...]
    person: Hashable
    about: Hashable
    newest: bool
    level: Level
    reader: Reader = field(default_factory=reader)
    answer: Future[Any] = field(default_factory=Future)
    number: int = field(default_factory=lambda: next(_numbers))


class Solvers:
    """The solvers of one server."""

    def __init__(self) -> None:
        self._waiting: OrderedDict[Hashable, list[_Task]] = OrderedDict()
        self._changed = Condition()
        self._threads: list[Thread] = []
        self._stopping = False
        self._home: OrderedDict[Hashable, int] = OrderedDict()
        self._passed_over: Hashable = None
        self._idle: set[int] = set()

    def start(self, processes: int) -> None:
        """Begin with some processes; they are forked in the background."""
        self._stopping = False
        self._threads = [Thread(target=self._serve, args=(place,), daemon=True) for place in range(processes)]
        for thread in self._threads:
            thread.start()

    def stop(self) -> None:
        """End them; what waits is not worked out."""
        with self._changed:
            self._stopping = True
            for tasks in self._waiting.values():
                for task in tasks:
                    _end(task, WorkerLost(say("solvers-stop")))
            self._waiting.clear()
            self._changed.notify_all()
        for thread in self._threads:
            thread.join(2.0)
        self._threads = []

    @property
    def running(self) -> bool:
        """Whether there are any."""
        return bool(self._threads) and not self._stopping

    def ask(
        self,
        work: Callable[..., Answer],
        *arguments: Any,
        person: Hashable = NOBODY,
        about: Hashable = None,
        newest: bool = False,
        level: Level = Level.LOOK,
    ) -> Future[Answer]:
        """Have something worked out.

        :param work: a function of a module; its arguments and its answer go from process to process.
        :param person: who asks: everybody's turn comes as often. :param about: what it is about, so that a solver that
            knows it already is preferred. :param newest: whether only the newest of this person and matter counts.
        :param level: what goes before what.
        """
        task = _Task(work, arguments, person, about, newest, level)
        if not self.running:
            _here(task)
            return task.answer
        with self._changed:
            queue = self._waiting.setdefault(person, [])
            if newest:
                for old in [one for one in queue if one.newest and one.about == about]:
                    queue.remove(old)
                    _end(old, Overtaken(say("solvers-ask")))
            queue.append(task)
            queue.sort(key=lambda one: (one.level, one.number))
            self._changed.notify_all()
        return task.answer

    def solve(self, work: Callable[..., Answer], *arguments: Any, **how: Any) -> Answer:
        """The same, waited for. :raises TookTooLong: no answer came in time."""
        try:
            return self.ask(work, *arguments, **how).result(2 * LONGEST_S)
        except TimeoutError as error:
            raise TookTooLong(say("solvers-solve")) from error

    def _next(self, place: int) -> _Task | None:
        """The next task: people take turns; of those in turn one whose matter this solver knows comes first."""
        with self._changed:
            while not self._stopping:
                person = self._turn(place)
                if person is not None:
                    self._idle.discard(place)
                    queue = self._waiting[person]
                    task = queue.pop(0)
                    del self._waiting[person]
                    if queue:
                        self._waiting[person] = queue  # behind everybody else
                    self._home[task.about] = place
                    self._home.move_to_end(task.about)
                    while len(self._home) > 1000:
                        self._home.popitem(last=False)
                    return task
                self._idle.add(place)
                self._changed.wait(1.0)
            return None

    def _turn(self, place: int) -> Hashable | None:
        """Whose turn it is here; nobody's where another solver, which knows what is asked about, stands idle."""
        people = list(self._waiting)
        if not people:
            return None
        first_level = min(self._waiting[one][0].level for one in people)
        in_turn = [one for one in people if self._waiting[one][0].level == first_level]
        homes = [self._home.get(self._waiting[one][0].about) for one in in_turn]
        # Of the two that have waited longest the one that this solver knows already; nobody is passed over twice.
        if len(in_turn) > 1 and homes[0] != place and homes[1] == place and self._passed_over != in_turn[0]:
            self._passed_over = in_turn[0]
            return in_turn[1]
        free = (
            one for one, home in zip(in_turn, homes, strict=True) if home in (None, place) or home not in self._idle
        )
        return next(free, None)

    def _serve(self, place: int) -> None:
        process, here = _begin()
        while True:
            task = self._next(place)
            if task is None:
                break
            if not task.answer.set_running_or_notify_cancel():
                continue
            try:
                here.send((task.work, task.arguments, task.reader))
                if not here.poll(LONGEST_S):
                    raise TookTooLong(say("solvers-serve-could-worked"))
                answered = here.recv()
            except (TookTooLong, EOFError, OSError) as error:
                log.error("a solver was lost over %s: %r", task.work.__name__, error)
                process.kill()
                process, here = _begin()
                told = error if isinstance(error, TookTooLong) else WorkerLost(say("solvers-serve-what-worked"))
                task.answer.set_exception(told)
                continue
            _settle(task, answered)
        here.close()
        process.kill()


def _end(task: _Task, error: Exception) -> None:
    """Answer a task that was not begun with an error, unless nobody waits for it any more."""
    if task.answer.set_running_or_notify_cancel():
        task.answer.set_exception(error)


def _begin() -> tuple[Any, Connection]:
    here, there = context().Pipe()
    process = context().Process(target=_loop, args=(there,), daemon=True, name="solver")
    process.start()
    there.close()
    return process, here


def _loop(there: Connection) -> None:
    """What a solver does: one task after another, until its server goes away."""
    ends_with_its_server()
    gc.freeze()  # what was read at the start stays for good: looking through it for rubbish takes a tenth of an assessment
    while True:
        try:
            work, arguments, who = there.recv()
        except (EOFError, OSError):
            return
        try:
            with reading(who):
                answer: tuple[bool, Any] = (True, work(*arguments))
        except Exception as error:
            log.exception("a solver met an error in %s", getattr(work, "__name__", work))
            answer = (False, portable(error))
        try:
            there.send(answer)
        except OSError:
            return
        except Exception as error:  # what cannot go from process to process
            there.send((False, portable(error)))


def _here(task: _Task) -> None:
    try:
        task.answer.set_result(task.work(*task.arguments))
    except Exception as error:
        task.answer.set_exception(error)


def _settle(task: _Task, answered: tuple[bool, Any]) -> None:
    try:
        task.answer.set_result(answer_of(answered))
    except Exception as error:
        task.answer.set_exception(error)


SOLVERS = Solvers()


def wait_until_warm(seconds: float = 10.0) -> None:
    """Until the solvers have read their libraries, or so long."""
    if SOLVERS.running:
        until = time.monotonic() + seconds
        for one in [SOLVERS.ask(_nothing, person=f"warm {n}") for n in range(2)]:
            one.result(max(until - time.monotonic(), 0.1))


def _nothing() -> None:
    """Nothing: that a solver answers is all that is asked."""
