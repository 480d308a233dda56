"""What is kept but left out of an assessment because nothing can be worked out with it: found by trying, and named.

``assess`` refuses no valid job. Where an equation is asked outside where it holds, or where this program has a fault, the
readings at fault are looked for: the fewest whose leaving out lets the rest be worked out. They stay kept; the result names them.
"""

from __future__ import annotations

from collections.abc import Callable, Iterator
from dataclasses import dataclass
from typing import TypeVar

from pydantic import BaseModel

from modest_rotor.core.changes import label_of, with_change
from modest_rotor.core.entry import Entry
from modest_rotor.core.errors import Refusal
from modest_rotor.core.job import Job, JobDocument
from modest_rotor.core.phrase import Frozen
from modest_rotor.core.say import capital, say
from modest_rotor.core.stations.sheet import quantity_of

Answer = TypeVar("Answer")
MOST_TRIES = 60
"""Assessments tried before everything that was typed is left out."""
OF_FAULT = say("withheld-of-fault")
EVERYTHING = say("withheld-everything")


class LeftOut(Frozen):
    """Something that was typed and is kept, but with which nothing can be worked out."""

    path: str
    label: str
    typed: str
    reason: str
    fault: bool

    @property
    def sentence(self) -> str:
        """What is left out, and what to do."""
        said = f" ({self.typed})" if self.typed else ""
        return say("withheld-sentence", self_=self.label, said=said, reason=self.reason)


@dataclass(frozen=True)
class Sound:
    """A job without what cannot be worked with."""

    job: Job
    left_out: tuple[LeftOut, ...]


def quantities_of(job: Job) -> Iterator[tuple[str, Entry]]:
    """Every typed quantity of a job with its path, in the order of the stations."""
    yield from _inside(job.machine, "machine")
    yield from _inside(job.document, "")


def _inside(model: BaseModel, prefix: str) -> Iterator[tuple[str, Entry]]:
    for name in type(model).model_fields:
        value, path = getattr(model, name), f"{prefix}/{name}" if prefix else name
        if isinstance(value, Entry):
            if quantity_of(type(model), name):
                yield path, value
        elif isinstance(value, BaseModel):
            yield from _inside(value, path)
        elif isinstance(value, tuple):
            for item in value:
                if isinstance(item, BaseModel) and hasattr(item, "id"):
                    yield from _inside(item, f"{path}/{item.id}")


def without(job: Job, paths: tuple[str, ...]) -> Job:
    """The job with nothing typed at some places."""
    for path in paths:
        job = with_change(job, path, None)
    return job


def sound_part(job: Job, error: Exception, works: Callable[[Job], bool], newest: str | None = None) -> Sound:
    """The job without the fewest values that keep it from being worked out.

    :param error: what was raised for the whole job. :param works: whether a job can be worked out.
    :param newest: the path that was edited last, which is looked at first.
    """
    typed = dict(quantities_of(job))
    tries = _Tries(job, works)
    if newest in typed and tries.works_without((newest,)):
        suspects: tuple[str, ...] = (newest,)
    else:
        suspects = _fewest(tuple(typed), tries)
    fault = not isinstance(error, Refusal)
    reason = error.sentence if isinstance(error, Refusal) else OF_FAULT
    if not suspects:
        empty = job.model_copy(update={"document": JobDocument()})
        return Sound(empty, (LeftOut(path="", label=capital(EVERYTHING), typed="", reason=reason, fault=fault),))
    left_out = tuple(
        LeftOut(path=path, label=_label(job, path), typed=typed[path].typed, reason=reason, fault=fault)
        for path in suspects
    )
    return Sound(without(job, suspects), left_out)


class _Tries:
    """Counts what is tried."""

    def __init__(self, job: Job, works: Callable[[Job], bool]) -> None:
        self.job, self.works, self.left = job, works, MOST_TRIES

    def works_without(self, paths: tuple[str, ...]) -> bool:
        """Whether it can be worked out without some values; no once too much was tried."""
        if self.left <= 0:
            return False
        self.left -= 1
        try:
            tried = without(self.job, paths)
        except Refusal:  # something else rests on what would be left out
            return False
        return self.works(tried)


def _fewest(paths: tuple[str, ...], tries: _Tries) -> tuple[str, ...]:
    """The fewest of some places whose leaving out helps, by halving; none where not even all of them do.

    Source: Zeller and Hildebrandt, Simplifying and isolating failure-inducing input, IEEE Transactions on Software Engineering
    28 (2002), in its simplest form.
    """
    if not paths or not tries.works_without(paths):
        return ()
    parts = 2
    while len(paths) > 1:
        size = -(-len(paths) // parts)
        chunks = [paths[at : at + size] for at in range(0, len(paths), size)]
        smaller = next((chunk for chunk in chunks if tries.works_without(chunk)), None)
        rest = None
        if smaller is None and len(chunks) > 2:
            rests = (tuple(one for one in paths if one not in chunk) for chunk in chunks)
            rest = next((some for some in rests if tries.works_without(some)), None)
        if smaller is not None:
            paths, parts = smaller, 2
        elif rest is not None:
            paths, parts = rest, max(parts - 1, 2)
        elif parts >= len(paths):
            break
        else:
            parts = min(2 * parts, len(paths))
    return paths


def _label(job: Job, path: str) -> str:
    label = label_of(job, path)
    root, *steps = path.split("/")
    if root == "readings":
        number = next((n for n, one in enumerate(job.document.readings, 1) if one.id == steps[0]), None)
        return say("withheld-label", label=label, number=number) if number else label
    return label
