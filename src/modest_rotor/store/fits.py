"""Assessments of jobs, asked of the solvers; what was written of a job at a revision is kept for whoever looks at it next."""

from __future__ import annotations

import logging
from collections.abc import Iterable
from threading import Lock

from cachetools import LRUCache, cached

from modest_rotor.core.assessment import Assessment
from modest_rotor.core.drift.answer import Due, LogAnswer
from modest_rotor.core.drift.log import Log, Reference
from modest_rotor.core.job import Job
from modest_rotor.core.options.effects import EffectTable
from modest_rotor.core.options.ranked_causes import RankedCauses
from modest_rotor.store.solving import (
    Assessed,
    assess_here,
    assessed_here,
    causes_here,
    effects_here,
    is_long,
    judge_log_here,
    name_of,
    touches_the_machine,
)
from modest_rotor.workers.solvers import SOLVERS, Level

log = logging.getLogger(__name__)
MOST_TABLES = 32
MOST_FAULTS = 500
_told: LRUCache[str, bool] = LRUCache(MOST_FAULTS)
"""Faults that were logged already: each is noted once."""


def assess_job(job: Job, newest: str | None = None) -> Assessment:
    """The assessment of a job by its own fit."""
    return SOLVERS.solve(assess_here, job, newest, about=name_of(job), level=Level.SAVE)


def assessed_job(
    job: Job,
    newest: str | None = None,
    number: int | None = None,
    before: Job | None = None,
    level: Level = Level.SAVE,
) -> Assessed:
    """The same as text for the wire, with its line for the Board; a fault of ours is logged once.

    :param newest: path that was edited last. :param number: of the job, for the log.
    :param before: the job as it was, whose fit and options serve for the moment where there is much to work out.
    :param level: what goes before what.
    """
    quick = (
        before if newest is not None and before is not None and is_long(job) and touches_the_machine(newest) else None
    )
    found = SOLVERS.solve(assessed_here, job, newest, quick, about=name_of(job), level=level)
    if found.fault is not None and found.fault not in _told:
        _told[found.fault] = True
        log.error("job %s cannot be worked out whole, newest edit %s: %s", number or "(a file)", newest, found.fault)
    return found


def begin_assessing(jobs: Iterable[Job]) -> None:
    """Let the solvers begin with jobs that are about to be asked for, all at once; nothing is done where there are none."""
    if SOLVERS.running:
        for job in jobs:
            SOLVERS.ask(assessed_here, job, about=name_of(job))


def judge_log(
    log_read: Log, job: Job, references: tuple[Reference, ...], dues: tuple[Due, ...], today: float
) -> LogAnswer:
    """What is told of a machine's log."""
    return SOLVERS.solve(judge_log_here, log_read, job, references, dues, today, about=name_of(job))


@cached(LRUCache(MOST_TABLES), key=lambda job: job.model_dump_json(), lock=Lock())
def effects_of_job(job: Job) -> EffectTable:
    """What would move which reading on a job's machine; a quarter of a second's work, so kept as well."""
    return SOLVERS.solve(effects_here, job, about=name_of(job))


@cached(LRUCache(MOST_TABLES), key=lambda job: job.model_dump_json(), lock=Lock())
def causes_of_job(job: Job) -> RankedCauses:
    """What explains a job's last set of readings; a third of a second's work, so kept as well."""
    return SOLVERS.solve(causes_here, job, about=name_of(job))
