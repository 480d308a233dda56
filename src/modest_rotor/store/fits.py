"""Fitted motors kept in memory: the slow part of an assessment, shared by everyone who looks at the same plate and readings."""

from __future__ import annotations

from collections.abc import Callable, Hashable
from threading import Lock
from typing import Any, TypeVar

from cachetools import LRUCache, cached

from modest_rotor.core.assess import assess, build_case, fit_job, job_fit_key, ladder, needles
from modest_rotor.core.assessment import Assessment
from modest_rotor.core.job import Job
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.ladder import Ladder
from modest_rotor.core.options.needles import NeedleTable
from modest_rotor.core.stations.motor_fit import MotorFit

MOST_KEPT = 256
"""Fits kept, the least lately used going first; each takes some ten kilobytes."""

MOST_TABLES = 32
MOST_PARTS = 1000
"""Parts of assessments kept: three to a set of readings; each takes some ten kilobytes."""
Answer = TypeVar("Answer")


@cached(LRUCache(MOST_KEPT), key=job_fit_key, lock=Lock())
def fit_of(job: Job) -> MotorFit:
    """The motor fitted to a job's plate and readings, from memory where it was fitted before."""
    return fit_job(job)


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


def assess_job(job: Job) -> Assessment:
    """The assessment of a job by its own fit."""
    return assess(job, fit_of(job), PARTS)


def put_right(job: Job) -> FoundMachine | str:
    """A job's machine put right, or the sentence that says what it waits for."""
    return build_case(job, fit_of(job), PARTS).right


def assess_on_last_fit(job: Job, before: Job) -> Assessment:
    """The assessment of a job at once, on the fit of what it was before; it says so where that is not its own."""
    return assess(job, fit_of(before), PARTS)


@cached(LRUCache(MOST_TABLES), key=lambda job: job.model_dump_json(), lock=Lock())
def needles_of_job(job: Job) -> NeedleTable:
    """What would move which needle on a job's machine; a quarter of a second's work, so kept as well."""
    return needles(job, fit_of(job))


@cached(LRUCache(MOST_TABLES), key=lambda job: job.model_dump_json(), lock=Lock())
def ladder_of_job(job: Job) -> Ladder:
    """What explains a job's last set of readings; a third of a second's work, so kept as well."""
    return ladder(job, fit_of(job))
