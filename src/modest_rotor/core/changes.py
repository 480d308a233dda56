"""Edits as named changes: a path, what stood there before, what stands there after.

A path names the place with slashes: ``nameplate/rated_power``, ``readings/s2/current`` (items of a list by their id),
``machine/type``. A whole list may be set too (``readings``), which is how items are added and removed.
"""

from __future__ import annotations

import re
from typing import Any, TypeVar

from pydantic import BaseModel, ValidationError

from modest_rotor.core.entry import Entry, read_entry
from modest_rotor.core.errors import ChangeRefused, QuantityRefused
from modest_rotor.core.job import Job, JobDocument
from modest_rotor.core.quantities import UnitSystem
from modest_rotor.core.say import clause, say
from modest_rotor.core.stations.sheet import quantity_of
from modest_rotor.core.unfit import reason_of

Whole = TypeVar("Whole", bound=BaseModel)
PATH = re.compile(r"[a-z_0-9]+(/[a-z_0-9]+){0,4}")
EDITABLE_ROOTS = ("machine", *JobDocument.model_fields)
EMPTY_NOT_ALLOWED = ("machine/name",)


def value_at(job: Job, path: str) -> Any:
    """What stands at a path, as plain JSON data; refuses a path that the job does not have."""
    return _plain(_walk(job, path.split("/")))


def read_for(job: Job, path: str, text: str, units: UnitSystem) -> Entry | str | None:
    """Read typed text for the field at a path: an entry for a quantity, the words for words, nothing for empty text."""
    owner, field = _owner(job, path)
    name = quantity_of(type(owner), field)
    if not text.strip():
        return None
    return read_entry(name, text, units, numbers=job.site.style_of(units)) if name else text.strip()


def with_change(job: Job, path: str, after: Any) -> Job:
    """The job with the value at ``path`` replaced by ``after`` (plain JSON data, or an entry).

    :raises ChangeRefused: the path does not exist, or the value does not belong there; the job is unchanged.
    """
    _owner(job, path)
    if after in (None, "") and path in EMPTY_NOT_ALLOWED:
        raise ChangeRefused(say("changes-with-change-machine-needs"))
    root, *steps = path.split("/")
    try:
        if root == "machine":
            return job.model_copy(update={"machine": _replaced(job.machine, steps, _plain(after))})
        return job.model_copy(update={"document": _replaced(job.document, [root, *steps], _plain(after))})
    except QuantityRefused as refusal:
        raise ChangeRefused(refusal.sentence) from refusal
    except ValidationError as error:
        raise ChangeRefused(
            say("changes-with-change-kept", label_of=label_of(job, path), reason=_reason(job, path, error))
        ) from error


def label_of(job: Job, path: str) -> str:
    """What a person calls the field at a path."""
    owner, field = _owner(job, path)
    info = type(owner).model_fields[field]
    return info.title or field.replace("_", " ").capitalize()


def next_id(items: list[dict[str, Any]]) -> str:
    """A short identifier that no item of the list has had so far as the list still shows."""
    numbers = [int(item["id"][1:]) for item in items if item["id"][1:].isdigit()]
    return f"s{max(numbers, default=0) + 1}"


def without_item(job: Job, path: str, item_id: str) -> list[dict[str, Any]]:
    """The list at ``path`` without one of its items, as plain JSON data."""
    items: list[dict[str, Any]] = value_at(job, path)
    rest = [item for item in items if item["id"] != item_id]
    if len(rest) == len(items):
        raise ChangeRefused(say("changes-without-item", item_id=item_id))
    return rest


def _owner(job: Job, path: str) -> tuple[BaseModel, str]:
    steps = path.split("/")
    if not PATH.fullmatch(path) or steps[0] not in EDITABLE_ROOTS:
        raise ChangeRefused(say("changes-owner-job-place", path=path[:80]))
    owner = _walk(job, steps[:-1])
    if not isinstance(owner, BaseModel) or steps[-1] not in type(owner).model_fields or steps[-1] == "id":
        raise ChangeRefused(say("changes-owner-job-place", path=path))
    return owner, steps[-1]


def _walk(job: Job, steps: list[str]) -> Any:
    place: Any = job.machine if steps and steps[0] == "machine" else job.document
    for step in steps[1:] if steps and steps[0] == "machine" else steps:
        if isinstance(place, tuple):
            found = [item for item in place if item.id == step]
            if not found:
                raise ChangeRefused(say("changes-walk-item-there", step=step))
            place = found[0]
        elif isinstance(place, BaseModel) and step in type(place).model_fields:
            place = getattr(place, step)
        else:
            raise ChangeRefused(say("changes-walk-job-place", steps="/".join(steps)))
    return place


def _replaced(model: Whole, steps: list[str], after: Any) -> Whole:
    """A model with the value at some steps replaced; only the innermost model is read anew, the rest stays as it is."""
    first, *rest = steps
    inner = getattr(model, first)
    if not rest:
        return type(model).model_validate({**model.model_dump(mode="json"), first: after})
    if isinstance(inner, tuple):
        name, *further = rest
        changed: Any = tuple(_replaced(item, further, after) if item.id == name else item for item in inner)
    else:
        changed = _replaced(inner, rest, after)
    return model.model_copy(update={first: changed})


def _plain(value: Any) -> Any:
    if isinstance(value, BaseModel):
        return value.model_dump(mode="json")
    if isinstance(value, (list, tuple)):
        return [_plain(item) for item in value]
    return value


def _reason(job: Job, path: str, error: ValidationError) -> str:
    """The first reason of a validation error, in words for whoever typed; of text of another form, what its form is."""
    first = error.errors(include_url=False)[0]
    owner, field = _owner(job, path)
    form = type(owner).model_fields[field].description
    return clause(form) if first["type"] == "string_pattern_mismatch" and form else reason_of(first)
