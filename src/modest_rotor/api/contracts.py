"""What goes over the wire besides the core's own models. Answers carry no input limits."""

from __future__ import annotations

from datetime import UTC, datetime, timedelta
from typing import Annotated, Any

from fastapi import Query, Response
from pydantic import AfterValidator, Field
from starlette.datastructures import Headers
from starlette.types import Receive, Scope, Send

from modest_rotor.core.assessment import Assessment
from modest_rotor.core.entry import Entry
from modest_rotor.core.job import Job, JobDocument, Machine
from modest_rotor.core.numerals import NumberStyle
from modest_rotor.core.phrase import Phrase, WithWords
from modest_rotor.core.quantities import UnitSystem
from modest_rotor.core.said_codes import code_of, codes_in
from modest_rotor.core.statements import Actor
from modest_rotor.core.stations.readings import refuse_future
from modest_rotor.core.stations.sheet import storable
from modest_rotor.core.upgrades import path_today
from modest_rotor.formats.clock import LONGEST_ZONE
from modest_rotor.store import logs
from modest_rotor.store.jobs import StoredJob, assessed
from modest_rotor.store.nodes import Nodes
from modest_rotor.store.saving import Saved
from modest_rotor.store.signed import SignedLine, signed_lines

LONGEST_NAME = 120

Words = Annotated[str, AfterValidator(storable)]
"""Text as it comes in: nothing that the database could not keep."""
Place = Annotated[str, AfterValidator(path_today)]
"""A path as it comes in: that of a page that was opened before the program was renewed names the same place still."""
Learner = Annotated[Words, Query(max_length=LONGEST_NAME)]
"""Whose record is asked for, in an address."""


ZoneName = Annotated[
    str, Query(max_length=LONGEST_ZONE, description="the reader's time zone, for example Europe/Lisbon; UTC for none")
]
"""On whose clock times are told."""
FARTHEST_ZONE = timedelta(hours=14)
"""How far a clock somewhere on earth may be ahead of UTC."""


def time_now() -> str:
    """The time now in UTC, as sets and marks say it."""
    return f"{datetime.now(UTC):%Y-%m-%d %H:%M}"


def latest_time() -> str:
    """The latest time that any clock on earth shows now; a set later than that was never read."""
    return f"{datetime.now(UTC) + FARTHEST_ZONE:%Y-%m-%d %H:%M}"


def actor_now(name: str) -> Actor:
    """Somebody who does something now."""
    return Actor(name, time_now(), latest_time())


def refuse_sets_of_the_future(job: Job) -> None:
    """Refuse a job with a set that says it was read later than now."""
    for reading in job.document.readings:
        refuse_future(reading, latest_time())


class Problem(WithWords):
    """A refusal in words, and what is known of what was to be saved."""

    field: str | None = Field(default=None, description="path of the field it belongs to, if one")
    sentence: str
    code: str | None = Field(
        default_factory=lambda said: code_of(said["sentence"]),
        description="of the message, the same in every language",
    )
    codes: tuple[str, ...] = Field(
        default_factory=lambda said: tuple(dict.fromkeys(codes_in(said["sentence"]))),
        description="of the message and of every other that stands in it, such as the reason of a refusal",
    )
    saved: Saved = Saved.NOTHING


class CommandView(WithWords):
    """Whether a command was carried out, and what it made."""

    known: bool
    about: dict[str, Any] = Field(default_factory=dict)


class Health(WithWords):
    """Whether the application can keep anything."""

    database: bool
    migration: str | None
    version: str


class UnitFacts(WithWords):
    """How a reader sees a quantity: its unit, factor and offset to it from the unit used inside, the finest decimals shown."""

    unit: str
    factor: float
    offset: float
    decimals: int


class QuantityFacts(WithWords):
    """A quantity as the front end needs it."""

    label: str
    ip: UnitFacts
    si: UnitFacts
    typed_units: list[str]
    letters: bool = Field(
        description="whether a sign, a fraction or a unit is usual in it, so that a phone shows its letters"
    )


class JobHead(WithWords):
    """A job as it is kept, and what can be taken back."""

    id: int
    site_id: int
    machine_id: int
    revision: str
    saved: datetime
    undo_label: str | None
    redo_label: str | None
    machine: Machine
    site_name: str
    site_units: UnitSystem
    site_numbers: NumberStyle | None = None
    document: JobDocument
    signed: tuple[SignedLine, ...] = ()
    log: Phrase = Field(default=(), description="what the machine's readings over time say, in a few words")
    log_waits: bool = Field(default=False, description="whether the machine's log waits for readings")
    drifts: bool = False
    thrown: datetime | None = Field(default=None, description="when it was thrown away, where it was")


class JobView(JobHead):
    """A job, what follows from it, and what can be taken back."""

    assessment: Assessment


class NewJob(WithWords):
    """What a new job needs: a machine's name; a site by its number or a new name."""

    machine_name: Words = Field(max_length=LONGEST_NAME)
    site_name: Words | None = Field(default=None, max_length=LONGEST_NAME)
    units: UnitSystem = "si"
    line: Words = Field(
        default="", max_length=600, description="the plate in one line; the job then asks for a first answer"
    )


class SiteNumbers(WithWords):
    """How numbers are written at a site."""

    numbers: NumberStyle | None


class Edit(WithWords):
    """One edit of one field: typed text for quantities and words, a value for choices."""

    revision: str = Field(max_length=40)
    path: Place = Field(max_length=120)
    text: Words | None = Field(default=None, max_length=4000)
    value: Any = None
    units: UnitSystem = "si"
    who: Words = Field(default="", max_length=LONGEST_NAME)


class Draft(WithWords):
    """Typed text that is not saved yet."""

    path: Place = Field(max_length=120)
    text: Words = Field(max_length=4000)
    units: UnitSystem = "si"
    window: Words = Field(
        default="", max_length=40, description="which window asks: of one window only the newest draft counts"
    )
    refined: bool = Field(default=False, description="whether to wait for the motor to be fitted to the draft")


class Preview(WithWords):
    """What would follow from a draft; or why it cannot be taken as it stands, which half a value often cannot."""

    entry: Entry | None = None
    assessment: Assessment | None = None
    problem: Problem | None = None


class Step(WithWords):
    """Undo, redo, or an item added or removed, on the job as it stood at a revision."""

    revision: str = Field(max_length=40)
    who: Words = Field(default="", max_length=LONGEST_NAME)


class FirstIn(Step):
    """A first answer is wanted, its hours by kind of building where one is named."""

    building: str | None = Field(default=None, max_length=60)


class Change(WithWords):
    """One change of a job's history."""

    id: int
    path: str
    label: str
    before: Any
    after: Any
    who: str
    at: datetime
    kind: str


class JobFile(WithWords):
    """A job file sent in."""

    job: dict[str, Any]


class NodesAnswer(Response):
    """A head and what follows from a job: ``assessment`` whole, or, where the request says what its page shows, in nodes.

    A request says so by two headers: ``nodes-wanted``, names with commas between them, and ``nodes-held``, the tags of what the page
    holds. It is answered with ``tags``, the tag of every node, and ``nodes``, those that are wanted and not held.
    """

    media_type = "application/json"

    def __init__(self, head: str, nodes: Nodes, status: int = 200) -> None:
        super().__init__(status_code=status)
        self._head, self._nodes = head, nodes

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        """Write what is asked for, and send it."""
        headers = Headers(scope=scope)
        wanted = headers.get("nodes-wanted")
        told = (
            f'"assessment":{self._nodes.whole()}'
            if wanted is None
            else self._nodes.asked(wanted.split(","), headers.get("nodes-held", "").split(","))
        )
        self.body = f"{self._head[:-1]},{told}}}".encode()
        self.headers["content-length"] = str(len(self.body))
        await super().__call__(scope, receive, send)


def view(stored: StoredJob, status: int = 200, whole: bool = False) -> Response:
    """A stored job as it goes over the wire: a :class:`JobView`, or its head and nodes of what a solver has written already.

    :param whole: whether to wait for what a save of a long job left to be refined.
    """
    job: Job = stored.job
    told = logs.told_of(stored.machine_id)
    head = JobHead(
        id=stored.id,
        site_id=stored.site_id,
        machine_id=stored.machine_id,
        revision=stored.revision,
        saved=stored.saved,
        undo_label=stored.undo_label,
        redo_label=stored.redo_label,
        machine=job.machine,
        site_name=job.site.name,
        site_units=job.site.units,
        site_numbers=job.site.numbers,
        document=job.document,
        signed=signed_lines(stored.id),
        log=told.rail,
        log_waits=told.waits,
        drifts=told.drifts,
        thrown=stored.thrown,
    )
    return NodesAnswer(head.model_dump_json(), assessed(stored, whole).nodes, status)
