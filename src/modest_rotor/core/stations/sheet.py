"""How a station says what it asks: typed fields that know their quantity, label, help and basis."""

from __future__ import annotations

from collections.abc import Callable
from functools import cache
from typing import Any, TypeVar, get_args

from pydantic import BaseModel, Field, ValidationInfo, field_validator

from modest_rotor.core.coded import Coded
from modest_rotor.core.entry import entry_from_data
from modest_rotor.core.phrase import Basis, Frozen
from modest_rotor.core.say import is_message, say

LONGEST_NAME = 120
LONGEST_TEXT = 2000


def asked(quantity: str, code: str, basis: Basis, help_text: str | None = None) -> Any:
    """A field that takes a typed quantity; empty is ``None``, never zero.

    :param code: the message of its label; that of its help, where there is one, has ``-help`` behind it. :param help_text: a help that several fields share.
    """
    return _field(code, help_text, extra={"quantity": quantity, "basis": basis})


def told(code: str, help_text: str | None = None, default: Any = None, longest: int = LONGEST_TEXT) -> Any:
    """A field that takes words."""
    return _field(code, help_text, default, longest)


def moment(code: str, help_text: str | None = None, longest: int = 20) -> Any:
    """A field that takes a time, kept as UTC like 2026-03-01 14:30; the edges tell and take it on the reader's clock."""
    return _field(code, help_text, longest=longest, extra={"time": True})


def chosen(code: str, help_text: str | None = None) -> Any:
    """A field that takes one of a few answers."""
    return _field(code, help_text)


def _field(
    code: str,
    help_text: str | None,
    default: Any = None,
    longest: int | None = None,
    extra: dict[str, Any] | None = None,
) -> Any:
    if help_text is None:
        help_text = say(f"{code}-help") if is_message(f"{code}-help") else ""
    return Field(default=default, title=say(code), description=help_text, max_length=longest, json_schema_extra=extra)


@cache
def quantity_of(model: type[BaseModel], field: str) -> str | None:
    """The quantity that a field takes, or ``None`` for words and choices."""
    extra = model.model_fields[field].json_schema_extra
    return str(extra["quantity"]) if isinstance(extra, dict) and "quantity" in extra else None


@cache
def is_moment(model: type[BaseModel], field: str) -> bool:
    """Whether a field takes a time."""
    extra = model.model_fields[field].json_schema_extra
    return isinstance(extra, dict) and bool(extra.get("time"))


@cache
def kind_of(model: type[BaseModel], field: str) -> type[Coded] | None:
    """The enumeration that a field's answers are codes of, if they are."""
    annotation = model.model_fields[field].annotation
    parts = (annotation, *get_args(annotation))
    return next((one for one in parts if isinstance(one, type) and issubclass(one, Coded)), None)


def words_of(model: type[BaseModel], field: str, value: object) -> str:
    """What a person reads of a field's value: the label of a code, else the value itself."""
    kind = kind_of(model, field)
    return kind(str(value)).label if kind else str(value)


Whole = TypeVar("Whole", bound=BaseModel)


def with_moments(whole: Whole, told: Callable[[str], str]) -> Whole:
    """The same, with every time in it as ``told`` tells it: for a page or a paper of another clock than UTC's.

    :param told: from a time as it is kept to the same as it is shown.
    """
    changed: dict[str, Any] = {}
    for name in type(whole).model_fields:
        value = getattr(whole, name)
        if isinstance(value, str) and is_moment(type(whole), name):
            changed[name] = told(value)
        elif isinstance(value, BaseModel):
            changed[name] = with_moments(value, told)
        elif isinstance(value, tuple):
            changed[name] = tuple(with_moments(one, told) if isinstance(one, BaseModel) else one for one in value)
    return whole.model_copy(update=changed)


def storable(value: Any) -> Any:
    """The value itself, unless it is text that no database keeps: with a null character, or with half a character."""
    if not isinstance(value, str):
        return value
    if "\0" in value:
        raise ValueError(say("sheet-null-character"))
    try:
        value.encode()
    except UnicodeEncodeError as error:
        raise ValueError(say("sheet-half-character")) from error
    return value


class Sheet(Frozen):
    """One station's answers; typed quantities are read from text, objects or whole entries."""

    @field_validator("*", mode="before")
    @classmethod
    def _read_typed(cls, value: Any, info: ValidationInfo) -> Any:
        name = quantity_of(cls, info.field_name or "")
        return entry_from_data(name, value) if name else storable(value)


Item = TypeVar("Item", bound="Identified")


class Identified(Sheet):
    """An item of a list, found by its own short identifier, not by its place."""

    id: str = Field(pattern=r"^[a-z0-9]{1,16}$", description="short identifier, unique in its list")
