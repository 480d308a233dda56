"""What solvers do with a job: whole functions of plain values, so that they can be done in another process.

Each solver keeps fits and the newest parts of assessments for whoever types in the same job next.
"""

from __future__ import annotations

import logging
import traceback
from collections.abc import Callable, Hashable
from dataclasses import dataclass
from functools import wraps
from threading import Lock
from typing import Any, Concatenate, ParamSpec, TypeVar

from cachetools import LRUCache, cached

from modest_rotor.core.assess import assess, beside, build_case, causes, effects, fit_job, job_fit_key, loaded
from modest_rotor.core.assessment import Assessment, BoardLine
from modest_rotor.core.changes import read_for, with_change
from modest_rotor.core.drift.answer import Due, LogAnswer, log_answer
from modest_rotor.core.drift.log import Log, Reference
from modest_rotor.core.entry import Entry
from modest_rotor.core.errors import ModestRotorError, OutsideValidity, Refusal
from modest_rotor.core.job import Job
from modest_rotor.core.options.answers import LoadedAnswer
from modest_rotor.core.options.beside import BesideAnswer
from modest_rotor.core.options.effects import EffectTable
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.ranked_causes import RankedCauses
from modest_rotor.core.outcome import Absent
from modest_rotor.core.quantities import UnitSystem
from modest_rotor.core.say import say
from modest_rotor.core.stations.motor_fit import MotorFit
from modest_rotor.core.withheld import LeftOut, without
from modest_rotor.store.nodes import Nodes, nodes_of

log = logging.getLogger(__name__)
MOST_KEPT = 256
"""Fits kept, the least lately used going first; each takes some ten kilobytes."""
MOST_PARTS = 1000
"""Parts of assessments kept: three to a set of readings; each takes some ten kilobytes."""
MOST_LEFT_OUT = 128
SETS_AT_ONCE = 8
"""Sets of readings to which a motor is fitted while a save is waited for."""
MACHINE_ROOTS = ("machine", "nameplate", "readings", "charts", "meters", "target")
Answer = TypeVar("Answer")
More = ParamSpec("More")


class NewestKept:
    """The newest results of parts of assessments, for whoever types in the same job next."""

    def __init__(self, most: int) -> None:
        self._results: LRUCache[Hashable, Any] = LRUCache(most)
        self._lock = Lock()

    def kept(self, key: Hashable, work: Callable[[], Answer]) -> Answer:
        """The result kept under a key, or else what ``work`` gives; two at once may both work, and the later one stays."""
        with self._lock:
            if key in self._results:
                return self._results[key]  # type: ignore[no-any-return]
        answer = work()
        with self._lock:
            self._results[key] = answer
        return answer


PARTS = NewestKept(MOST_PARTS)
_left_out: LRUCache[str, tuple[LeftOut, ...]] = LRUCache(MOST_LEFT_OUT)
"""What had to be left out of a job, so that it is looked for once."""
_whole: LRUCache[str, Job] = LRUCache(MOST_LEFT_OUT)
"""Each job as it was when it was last worked out whole here, so that a long one need not be worked out to stand in."""


@dataclass(frozen=True)
class Assessed:
    """An assessment as JSON in nodes, with what is kept of it; ``fault`` tells of what was raised for the whole job.

    ``refining`` where it stands on what the job was before, and is worked out whole by whoever looks next.
    """

    nodes: Nodes
    board: BoardLine
    fault: str | None = None
    refining: bool = False


@dataclass(frozen=True)
class Previewed:
    """A preview: the entry as it was read, as JSON, and the nodes; or the problem of the draft."""

    entry: str = "null"
    nodes: Nodes | None = None
    problem: str | None = None


@cached(LRUCache(MOST_KEPT), key=job_fit_key, lock=Lock())
def fit_of(job: Job) -> MotorFit:
    """The motor fitted to a job's plate and readings, from memory where it was fitted before."""
    return fit_job(job)


def assess_here(job: Job, newest: str | None = None) -> Assessment:
    """The assessment of a job on its own fit.

    :param newest: path that was edited last.
    """
    return _assess(job, newest, None, workings=True)[0]


def assessed_here(job: Job, newest: str | None = None, before: Job | None = None) -> Assessed:
    """The same as it goes over the wire; at once, on the fit and options of what it was ``before``, where that is given."""
    assessment, fault = _assess(job, newest, before)
    return Assessed(nodes_of(assessment), assessment.board, fault, assessment.refining)


def preview_here(job: Job, path: str, text: str, units: UnitSystem, refined: bool) -> Previewed:
    """What would follow from a draft: at once on the last fit, or on its own."""
    try:
        after = read_for(job, path, text, units)
        changed = with_change(job, path, after)
    except Refusal as refusal:
        return Previewed(problem=refusal.sentence)
    assessment, _ = _assess(changed, path, None if refined or not touches_the_machine(path) else job)
    entry = after.model_dump_json() if isinstance(after, Entry) else "null"
    return Previewed(entry, nodes_of(assessment))


def name_of(job: Job) -> str:
    """By what a solver knows a job again."""
    return f"{job.site.name}/{job.machine.name}"


def is_long(job: Job) -> bool:
    """Whether a job has so many sets that a motor fitted to all of them is not waited for at every save."""
    return len(job.document.readings) > SETS_AT_ONCE


def touches_the_machine(path: str) -> bool:
    """Whether an edit moves the machine itself, so that motor and options are worked out anew."""
    return path.split("/")[0] in MACHINE_ROOTS


def sound_job(job: Job) -> Job:
    """The job without what nothing can be worked out with."""
    left_out = assess_here(job).left_out
    if any(not one.path for one in left_out):
        return job.model_copy(update={"document": type(job.document)()})
    return without(job, tuple(one.path for one in left_out))


def _or_refused(work: Callable[Concatenate[Job, More], Answer]) -> Callable[Concatenate[Job, More], Answer]:
    """Let a fault of ours in a part of a page be told in words on that part alone."""

    @wraps(work)
    def told(job: Job, /, *more: More.args, **named: More.kwargs) -> Answer:
        try:
            return work(job, *more, **named)
        except ModestRotorError:
            raise
        except Exception as error:
            log.exception("%s failed", work.__name__)
            raise OutsideValidity(say("solving-told")) from error

    return told


@_or_refused
def effects_here(job: Job) -> EffectTable:
    """What would move which reading on a job's machine."""
    sound = sound_job(job)
    return effects(sound, fit_of(sound))


@_or_refused
def causes_here(job: Job) -> RankedCauses:
    """What explains a job's last set of readings."""
    sound = sound_job(job)
    return causes(sound, fit_of(sound))


@_or_refused
def loaded_here(job: Job) -> tuple[LoadedAnswer, ...]:
    """What each option of a job moves and takes as the filter loads."""
    try:
        return loaded(job, fit_of(job), PARTS)
    except Exception:  # one value must not take the picture away
        sound = sound_job(job)
        return loaded(sound, fit_of(sound), PARTS)


@_or_refused
def beside_here(job: Job, asked: tuple[str, ...]) -> BesideAnswer:
    """Options of a job side by side, by their ids."""
    sound = sound_job(job)
    return beside(sound, asked, fit_of(sound), PARTS)


def repaired_here(job: Job) -> FoundMachine | Absent:
    """A job's machine put right, or the sentence that says what it waits for."""
    sound = sound_job(job)
    return build_case(sound, fit_of(sound), PARTS).right


def judge_log_here(
    log_read: Log, job: Job, references: tuple[Reference, ...], dues: tuple[Due, ...], today: float
) -> LogAnswer:
    """What is told of a machine's log, held against the machine put right."""
    return log_answer(log_read, job, repaired_here(job), references, dues, today)


def _assess(job: Job, newest: str | None, before: Job | None, workings: bool = False) -> tuple[Assessment, str | None]:
    told: list[str] = []

    def on_fault(error: Exception) -> None:
        told.append("".join(traceback.format_exception(error)))

    if before is not None and is_long(job):
        before = _whole.setdefault(name_of(job), before)  # what stands in is worked out whole, once
    key = job.model_dump_json() if _left_out else ""
    known = _left_out.get(key)
    if known is not None and all(one.path for one in known):
        rest = without(job, tuple(one.path for one in known))
        return assess(rest, fit_of(rest), PARTS, workings=workings).model_copy(update={"left_out": known}), None
    try:
        fit = fit_of(before if before is not None else job)
    except Exception:  # met again below, where what it rests on is looked for
        fit = None
    found = assess(job, fit, PARTS, newest, on_fault, before, workings)
    if before is None and not found.left_out:
        _whole[name_of(job)] = job
    if found.left_out:
        _left_out[key or job.model_dump_json()] = found.left_out
    return found, told[0] if told else None
