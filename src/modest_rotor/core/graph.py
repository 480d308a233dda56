"""An assessment as a graph: each node says what it reads of the job and which nodes it uses, and is handed only that.

A node is a function. Where its first parameter is ``job``, it is handed the job with those parts alone that it reads; every other
parameter is the node of that name, and ``keep`` lets it keep parts of its own work. Reading anything else of the job is an
``AttributeError``: a result can rest on nothing that is not declared. What a kept node gave is found again by the content of what it
was handed; the others are worked out each time, and are known by what they hold, so that what stays the same hides what moved before it.
"""

from __future__ import annotations

import inspect
from collections.abc import Callable, Iterator, Mapping
from dataclasses import dataclass
from functools import cached_property
from typing import Any, Generic, TypeVar, cast

from modest_rotor.core.job import Job, JobDocument
from modest_rotor.core.memo import Keeper, key_of

Answer = TypeVar("Answer")
APART = ("site", "machine")
"""Parts of a job beside its document."""
PARTS = (*APART, *JobDocument.model_fields)
"""Everything of a job that a node can read."""


@dataclass(frozen=True)
class Node(Generic[Answer]):
    """One part of an assessment.

    :param work: gives it, from what it reads and uses. :param reads: parts of the job. :param kept: whether it is worth keeping.
    """

    work: Callable[..., Answer]
    reads: tuple[str, ...] = ()
    kept: bool = False

    @property
    def name(self) -> str:
        """How other nodes ask for it."""
        return self.work.__name__

    @cached_property
    def parameters(self) -> tuple[str, ...]:
        """What it is handed, in order."""
        return tuple(inspect.signature(self.work).parameters)

    @property
    def uses(self) -> tuple[str, ...]:
        """The nodes that it is handed."""
        return tuple(name for name in self.parameters if name not in ("job", "keep"))


class Graph:
    """Nodes by their names."""

    def __init__(self) -> None:
        self._nodes: dict[str, Node[Any]] = {}

    def node(self, *reads: str, kept: bool = False) -> Callable[[Callable[..., Answer]], Node[Answer]]:
        """Declare a function as a node. :param reads: parts of the job, as in :data:`PARTS`. :param kept: whether it is worth keeping."""
        unknown = set(reads) - set(PARTS)
        if unknown:
            raise ValueError(f"a job has no {', '.join(sorted(unknown))}")

        def declare(work: Callable[..., Answer]) -> Node[Answer]:
            one = Node(work, reads, kept)
            if ("job" in one.parameters) != bool(reads) or "job" in one.parameters[1:]:
                raise ValueError(f"{one.name} says what it reads, and is handed that job first")
            missing = [name for name in one.uses if name not in self._nodes]
            if missing or one.name in self._nodes:
                raise ValueError(f"{one.name} stands twice, or before {', '.join(missing)}")
            self._nodes[one.name] = one
            return one

        return declare

    def __getitem__(self, name: str) -> Node[Any]:
        return self._nodes[name]

    def __iter__(self) -> Iterator[Node[Any]]:
        return iter(self._nodes.values())


class Walk:
    """The nodes of one job, each worked out when it is first asked for.

    :param given: nodes that are taken as they are, by name, in place of being worked out; the keeper knows what they rest on.
    """

    def __init__(self, graph: Graph, job: Job, keep: Keeper, given: Mapping[str, object] | None = None) -> None:
        self.graph, self.job, self.keep = graph, job, keep
        self._done: dict[str, object] = dict(given or {})

    def of(self, node: Node[Answer]) -> Answer:
        """What a node gives."""
        return cast(Answer, self._of(node.name))

    def _of(self, name: str) -> object:
        if name not in self._done:
            self._done[name] = self._worked_out(self.graph[name])
        return self._done[name]

    def _worked_out(self, node: Node[Any]) -> object:
        used = {name: self._of(name) for name in node.uses}
        handed = {name: self.keep if name == "keep" else used.get(name) for name in node.parameters}
        if node.reads:
            handed["job"] = only(self.job, node.reads)
        if not node.kept:
            return node.work(**handed)
        contents = self.keep.contents
        told = (*(contents.of(part_of(self.job, name)) for name in node.reads), *map(contents.of, used.values()))
        return self.keep.under(key_of(node.work, told), lambda: node.work(**handed))


def part_of(job: Job, name: str) -> object:
    """A part of a job by its name in :data:`PARTS`."""
    return getattr(job if name in APART else job.document, name)


def only(job: Job, reads: tuple[str, ...]) -> Job:
    """The job with nothing but some of its parts: asking it for another is an ``AttributeError``."""
    document = job.document.model_copy()
    for name in JobDocument.model_fields:
        if name not in reads:
            del document.__dict__[name]
    handed = job.model_copy()
    handed.__dict__["document"] = document
    for name in APART:
        if name not in reads:
            del handed.__dict__[name]
    return handed
