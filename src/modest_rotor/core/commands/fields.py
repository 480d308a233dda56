"""Values typed and set, items added and removed, the plate from its line, sets taken in."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Any

from modest_rotor.core.changes import label_of, next_id, read_for, value_at, without_item
from modest_rotor.core.commands.command import Command, Found, appended
from modest_rotor.core.entry import Entry
from modest_rotor.core.errors import ChangeRefused
from modest_rotor.core.first import prepared
from modest_rotor.core.job import Job
from modest_rotor.core.quantities import UnitSystem
from modest_rotor.core.say import say
from modest_rotor.core.statements import Actor, Edit
from modest_rotor.core.stations.plate_line import read_line
from modest_rotor.core.stations.readings import Stage

LISTS = {
    "readings": say("term-set"),
    "duty/steps": say("term-step"),
    "leads": say("term-lead"),
    "call_taps": say("term-call"),
    "options/candidates": say("sheet-option"),
    "setup/trials": say("commands-fields-lists-setting-tried"),
    "setup/sweep/marks": say("commands-fields-lists-loud-mark"),
    "proof/pairs": say("commands-fields-lists-pair-sets"),
}
"""Lists to which an item is added, and what one is called."""
CHOSEN = ("setup/traits", "setup/device", "setup/panel")
"""What is chosen from the devices that are kept, and never typed."""
FIRST_PARTS = {
    "readings": say("commands-fields-first-parts-set-typed"),
    "options/candidates": say("commands-fields-first-parts-usual-candidates"),
    "duty/steps": say("commands-fields-first-parts-hours-year"),
}


@dataclass(frozen=True)
class SetValue(Command):
    """Another value at a place: an answer, or a whole list or station."""

    path: str
    value: Any

    def edits(self, job: Job, actor: Actor, found: Found) -> tuple[Edit, ...]:
        """Errors as :func:`decide`."""
        return (Edit(_editable(self.path), self.value),)


@dataclass(frozen=True)
class TypeValue(Command):
    """Text typed into a field, to be read as its quantity in a reader's units."""

    path: str
    text: str
    units: UnitSystem

    def edits(self, job: Job, actor: Actor, found: Found) -> tuple[Edit, ...]:
        """Errors as :func:`decide`."""
        after = read_for(job, _editable(self.path), self.text, self.units)
        return (Edit(self.path, after, _typed(label_of(job, self.path), after)),)


@dataclass(frozen=True)
class AddItem(Command):
    """One more item of a list: empty, or like another one; ``stage`` of a set, where it is known from where it was added."""

    items: str
    like: str | None = None
    stage: Stage | None = None

    def edits(self, job: Job, actor: Actor, found: Found) -> tuple[Edit, ...]:
        """Errors as :func:`decide`."""
        called = _called(self.items)
        items: list[dict[str, Any]] = value_at(job, self.items)
        new = next((dict(item) for item in items if item["id"] == self.like), {})
        if self.items == "readings":
            # Whether it was right then is said of each set by itself, never copied.
            new |= {"taken_at": actor.at, "taken_by": actor.name or None, "known_good": None}
            new |= {"stage": self.stage} if self.stage else {}
        return appended(job, self.items, new, say("commands-fields-edits-added", called=called, items=len(items) + 1))


@dataclass(frozen=True)
class RemoveItem(Command):
    """An item taken out of a list, by its path."""

    path: str

    def edits(self, job: Job, actor: Actor, found: Found) -> tuple[Edit, ...]:
        """Errors as :func:`decide`."""
        items, _, item = self.path.rpartition("/")
        called = _called(items)
        return (Edit(items, without_item(job, items, item), say("commands-fields-edits-removed", called=called)),)


@dataclass(frozen=True)
class FillPlate(Command):
    """The plate's fields from its typed line."""

    def edits(self, job: Job, actor: Actor, found: Found) -> tuple[Edit, ...]:
        """Errors as :func:`decide`."""
        plate, site = job.document.nameplate, job.site
        values = read_line(plate.line or "", site.style_of(site.units)).values
        if not values:
            raise ChangeRefused(say("commands-fields-edits-nothing-line"))
        return (Edit("nameplate", plate.model_dump(mode="json") | values, say("commands-fields-edits-plate-line")),)


@dataclass(frozen=True)
class PrepareFirstAnswer(Command):
    """What a first answer needs and the job has not: a set, candidates, a year by kind of building."""

    building: str | None = None

    def edits(self, job: Job, actor: Actor, found: Found) -> tuple[Edit, ...]:
        """Errors as :func:`decide`."""
        ready = prepared(job, building=self.building)
        return tuple(Edit(path, value_at(ready, path), label) for path, label in FIRST_PARTS.items())


@dataclass(frozen=True)
class TakeSets(Command):
    """Sets from a file, as plain data."""

    sets: tuple[dict[str, Any], ...]

    def edits(self, job: Job, actor: Actor, found: Found) -> tuple[Edit, ...]:
        """Errors as :func:`decide`."""
        if not self.sets:
            raise ChangeRefused(say("commands-fields-edits-row-can"))
        after: list[dict[str, Any]] = value_at(job, "readings")
        for one in self.sets:
            after = [*after, {**one, "id": next_id(after)}]
        return (Edit("readings", after, say("commands-fields-edits-set-csv", sets=len(self.sets))),)


@dataclass(frozen=True)
class TakeSetFromPanel(Command):
    """A set as a panel shows it, as plain data."""

    values: dict[str, Any]
    name: str
    stage: Stage

    def edits(self, job: Job, actor: Actor, found: Found) -> tuple[Edit, ...]:
        """Errors as :func:`decide`."""
        said = {**self.values, "name": self.name, "stage": self.stage}
        read = {"taken_at": actor.at, "taken_by": actor.name or None}
        return appended(job, "readings", said | read, say("commands-fields-edits-set-read"))


def _editable(path: str) -> str:
    if path == "setup" or path.startswith(CHOSEN):
        raise ChangeRefused(say("commands-fields-editable"))
    return path


def _typed(field: str, after: Entry | str | None) -> str:
    """What the history calls a typed value: its field, and the value shortly."""
    if isinstance(after, Entry):
        bare = after.typed.replace(",", "").replace(".", "").isdigit()
        return f"{field}, {after.typed}{' ' + after.unit if bare else ''}"
    return field if after is None else f"{field}, {after[:30]}"


def _called(items: str) -> str:
    if items not in LISTS:
        raise ChangeRefused(say("commands-fields-called", items=items[:80]))
    return LISTS[items]
