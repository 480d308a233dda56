"""Changes of a job from a run beside the page: tried again on what the page saved meanwhile."""

from __future__ import annotations

from collections.abc import Callable
from typing import Any

from modest_rotor.core.changes import value_at
from modest_rotor.core.errors import ChangeRefused, Conflict
from modest_rotor.store import jobs

TELL_AGAIN = 3


def change_of_run(job_id: int, path: str, work: Callable[[Any], Any], who: str, label: str | None) -> jobs.StoredJob:
    """Change a place of a job as it now is.

    :param work: makes the new value of the one that stands there. :raises ChangeRefused: others changed it all the while.
    """
    for _ in range(TELL_AGAIN):
        stored = jobs.load(job_id)
        try:
            return jobs.save_change(job_id, stored.revision, path, work(value_at(stored.job, path)), who, label)
        except Conflict:
            continue
    raise ChangeRefused("The job was being changed all the while; do it once more.")
