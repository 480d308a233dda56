"""The graph of an assessment: what a node is handed, what its result is found again by, and that the declarations are true."""

from __future__ import annotations

import random
import re
import typing
from collections import Counter
from dataclasses import dataclass, make_dataclass
from enum import Enum
from pathlib import Path
from typing import Any

import numpy as np
import pytest
from pydantic import BaseModel, Field

from modest_rotor.core import nodes
from modest_rotor.core.changes import with_change
from modest_rotor.core.content import Contents
from modest_rotor.core.graph import PARTS, Graph, Node, Walk, only, part_of
from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.job import Job, JobDocument
from modest_rotor.core.memo import Keeper
from modest_rotor.demo.load import DEMO_JOBS, FINISHED, _job
from tests.jobs import KRAUSE

NAMES = (*DEMO_JOBS, FINISHED)


def hints(node: Node[Any]) -> dict[str, Any]:
    return typing.get_type_hints(node.work)


@pytest.mark.parametrize("node", list(nodes.GRAPH), ids=lambda node: node.name)
def test_a_node_is_handed_what_the_nodes_before_it_give_by_the_very_types_that_they_say(node: Node[Any]) -> None:
    told = hints(node)
    assert told.get("keep", Keeper) is Keeper and told.get("job", Job) is Job
    for name in node.uses:
        assert told[name] == hints(nodes.GRAPH[name])["return"], name


def test_every_node_is_used_or_told() -> None:
    used = Counter(name for node in nodes.GRAPH for name in node.uses)
    told = {
        "plate_answer", "answered", "options", "balance", "setup", "proof", "findings", "procedures", "rail", "steps", "board", "short",
    }  # fmt: skip
    assert {node.name for node in nodes.GRAPH} - set(used) - told == set()


def test_a_job_with_some_of_its_parts_has_no_other() -> None:
    whole = Job.model_validate(KRAUSE)
    for name in PARTS:
        handed = only(whole, (name,))
        assert part_of(handed, name) is part_of(whole, name)
        for other in set(PARTS) - {name}:
            with pytest.raises(AttributeError):
                part_of(handed, other)
    assert whole == Job.model_validate(KRAUSE)


def test_no_node_reads_what_it_did_not_declare_and_none_declares_what_no_job_makes_it_read() -> None:
    """Each read is taken from a node in turn: some demo job must end in an error, or give another result."""
    unread = {
        (node.name, name)
        for node in nodes.GRAPH
        for name in node.reads
        if node.reads != PARTS and not any(_needs(node, name, job) for job in map(_job, NAMES))
    }
    assert unread == set()


@pytest.mark.parametrize(("package", "node"), [("setup", nodes.setup), ("proof", nodes.proof)])
def test_a_package_names_no_part_of_a_job_that_its_node_does_not_read(package: str, node: Node[Any]) -> None:
    """Also where no job of a test comes by: every ``document.part`` that its files hold."""
    folder = Path(nodes.__file__).parent / package
    named = {
        part
        for path in folder.glob("*.py")
        for part in re.findall(r"\bdocument\.(\w+)", path.read_text(encoding="utf-8"))
        if part in JobDocument.model_fields
    }
    assert len(named) >= 4 and named - set(node.reads) == set()


def _needs(node: Node[Any], name: str, job: Job) -> bool:
    rest = Node(node.work, tuple(one for one in node.reads if one != name))
    walk = Walk(nodes.GRAPH, job, Keeper(_KEPT))
    used = {one: walk.keep if one == "keep" else walk.of(nodes.GRAPH[one]) for one in node.parameters if one != "job"}
    try:
        rest.work(job=only(job, rest.reads), **used)
    except AttributeError:
        return True
    return False


class _Remembers:
    """Keeps everything for all tests of this file."""

    def __init__(self) -> None:
        self.results: dict[Any, Any] = {}

    def kept(self, key: Any, work: Any) -> Any:
        if key not in self.results:
            self.results[key] = work()
        return self.results[key]


_KEPT = _Remembers()


def test_a_kept_node_is_worked_out_again_when_what_it_reads_changes_and_only_then() -> None:
    graph, calls = Graph(), Counter[str]()

    @graph.node("duty")
    def price(job: Job) -> float | None:
        calls["price"] += 1
        return job.document.duty.energy_price.si if job.document.duty.energy_price else None

    @graph.node("call", kept=True)
    def told(job: Job, price: float | None) -> str:
        calls["told"] += 1
        return f"{job.document.call.notes} {price}"

    memo, job = _Remembers(), Job.model_validate(KRAUSE)
    edits = [
        ("duty/energy_price", "0.30 /kWh"),
        ("duty/notes", "of no concern"),
        ("call/notes", "hot"),
        ("call/notes", None),
    ]
    seen = [Walk(graph, job, Keeper(memo)).of(told)]
    for path, value in edits:
        try:
            job = with_change(job, path, value)
        except Exception:
            continue
        seen.append(Walk(graph, job, Keeper(memo)).of(told))
    assert calls["told"] == len(set(seen))
    assert len(set(seen)) >= 3 and calls["price"] == len(seen)


def test_a_node_must_say_what_it_reads_and_stand_behind_what_it_uses() -> None:
    graph = Graph()
    with pytest.raises(ValueError, match="a job has no colour"):
        graph.node("colour")
    with pytest.raises(ValueError, match="says what it reads"):
        graph.node()(_reads_silently)
    with pytest.raises(ValueError, match="before unheard"):
        graph.node()(_uses)
    graph.node()(_plain)
    with pytest.raises(ValueError, match="stands twice"):
        graph.node()(_plain)


def _reads_silently(job: Job) -> int:
    return 1


def _uses(unheard: int) -> int:
    return unheard


def _plain() -> int:
    return 1


@dataclass(frozen=True)
class Point:
    """Two numbers with a name."""

    x: float
    y: float | None
    name: str = ""


class Model(BaseModel):
    """One of pydantic's."""

    value: float | None
    name: str | None = None


class Silent(BaseModel):
    """One that keeps a field to itself where it is written."""

    value: float
    told_to_nobody: int = Field(default=0, exclude=True)


class Holding(BaseModel):
    """One that holds such a one."""

    parts: tuple[Silent, ...] = ()


DIFFERENT = (
    *[
        None,
        True,
        1,
        1.0,
        "1",
        b"1",
        "",
        (),
        (1,),
        (1, 2),
        ((1,), 2),
        (1, (2,)),
        "None",
        "(1, 2)",
        {},
        {"a": 1},
        {"a": 2},
        {"b": 1},
    ],
    *[Point(1.0, 2.0), Point(2.0, 1.0), Point(1.0, None), Point(1.0, 2.0, "a"), (1.0, 2.0, "")],
    *[
        Model(value=1.0),
        Model(value=1.0 + 1e-15),
        Model(value=1.0, name=""),
        Model(value=None),
        Model(value=float("nan")),
        Model(value=float("inf")),
        MotorKind.THREE_PHASE,
        "three-phase",
        "THREE_PHASE",
    ],
    *[
        np.array([1.0, 2.0]),
        np.array([2.0, 1.0]),
        np.array([[1.0, 2.0]]),
        np.array([1, 2]),
        0.1 + 0.2,
        0.3,
        float("inf"),
        -0.0,
        0.0,
    ],
    *["a\nb", ("a", "b"), ("a,b",), ("a", "b", ""), ("ab",)],
)


def test_values_that_differ_have_other_names_and_those_that_do_not_have_the_same() -> None:
    contents = Contents()
    names = [contents.of(one) for one in DIFFERENT]
    assert [one for one, times in Counter(names).items() if times > 1] == []
    assert len(names) > 40
    assert contents.of(Point(1.0, 2.0)) == contents.of(Point(0.5 + 0.5, 2.0))
    assert contents.of((Model(value=3.0), np.arange(3))) == Contents().of((Model(value=3.0), np.arange(3)))


def test_classes_of_one_name_in_two_modules_are_two() -> None:
    """Some names of classes stand twice in the core, as ``Holds`` does."""
    here, there = (Enum("Holds", "SPEED", module=module) for module in ("one", "other"))
    contents = Contents()
    assert contents.of(here.SPEED) != contents.of(there.SPEED)
    assert contents.of((Point(1.0, 2.0),)) != contents.of((make_dataclass("Point", ["x", "y", "name"])(1.0, 2.0, ""),))


def test_a_value_that_is_gone_lends_its_name_to_none_that_comes_to_stand_in_its_place() -> None:
    contents, dice = Contents(), random.Random(5)
    seen: dict[str, tuple[float, ...]] = {}
    for _ in range(3000):
        value = tuple(dice.randrange(40) / 4 for _ in range(2))
        assert seen.setdefault(contents.of(value), value) == value


@pytest.mark.parametrize("value", [len, Point, lambda: 1, object(), iter(()), [1], Silent(value=1.0), Holding()])
def test_what_has_no_content_is_refused(value: Any) -> None:
    with pytest.raises(TypeError, match=r"cannot be told|not told whole"):
        Contents().of((1, value))


def _sum(x: float, y: float = 0.0, z: float = 0.0) -> Point:
    return Point(x + y + z, None)


def _difference(x: float, y: float = 0.0, z: float = 0.0) -> Point:
    return Point(x - y - z, None)


def test_a_call_is_known_by_its_function_and_by_each_argument_in_its_place() -> None:
    keep = Keeper(_Remembers())
    calls = [
        keep(_sum, 1.0, 2.0), keep(_sum, 2.0, 1.0), keep(_sum, 1.0, z=2.0), keep(_sum, 1.0, y=2.0), keep(_difference, 1.0, 2.0),
        keep(_sum, 1.0), keep(_sum, 3.0),
    ]  # fmt: skip
    assert [one.x for one in calls] == [3.0, 3.0, 3.0, 3.0, -1.0, 1.0, 3.0]
    assert len({keep.contents.of(one) for one in calls}) == 7
    assert keep(_sum, 1.0, 2.0) is calls[0]
