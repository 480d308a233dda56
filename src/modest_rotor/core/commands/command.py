"""A command: what somebody means to do to a job."""

from __future__ import annotations

from abc import ABC, abstractmethod
from collections.abc import Callable
from typing import Any

from modest_rotor.core.assessment import Assessment
from modest_rotor.core.changes import next_id, value_at
from modest_rotor.core.entry import entry_said, read_entry
from modest_rotor.core.job import Job
from modest_rotor.core.statements import Actor, Edit

Found = Callable[[], Assessment]


class Command(ABC):
    """What somebody means to do; what it makes of a job is worked out from the job as it stands."""

    @abstractmethod
    def edits(self, job: Job, actor: Actor, found: Found) -> tuple[Edit, ...]:
        """What is kept of it, in order.

        :param found: gives what follows from the job, for what is judged by it.
        """


def appended(job: Job, path: str, item: dict[str, Any], label: str) -> tuple[Edit, ...]:
    """One more item of a list, under an id that none of it has."""
    items: list[dict[str, Any]] = value_at(job, path)
    return (Edit(path, [*items, {**item, "id": next_id(items)}], label),)


def in_site_units(job: Job, name: str, si: float) -> dict[str, Any]:
    """A worked-out value as an entry in the units of the job's site."""
    return entry_said(name, si, job.site.units).model_dump(mode="json")


def as_read(name: str, text: str) -> dict[str, Any]:
    """A device's value as an entry, no finer than it is worth."""
    return read_entry(name, text).model_dump(mode="json")
