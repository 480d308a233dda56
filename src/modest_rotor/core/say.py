"""What is said to a reader: a message's code with typed values, worded from a catalogue in the reader's language, at the edge.

The core says :func:`say` or :func:`tell` with a code and values. The English of it is at once what a piece of text holds, so that it can be
looked at, compared and logged like any text; code and values stay with it, and the edge has it worded anew for its reader
(:func:`words_for`). The catalogues are Fluent files (``messages/<language>/*.ftl``, projectfluent.org), one message for each
code; what the program loads is made of them by ``tools/messages.py``.
"""

from __future__ import annotations

import json
from collections.abc import Iterable, Iterator, Mapping
from contextlib import contextmanager
from contextvars import ContextVar
from dataclasses import dataclass
from datetime import date
from enum import Enum
from functools import cache
from importlib.resources import files
from typing import Any, overload

from babel import Locale, UnknownLocaleError
from babel.dates import format_datetime
from babel.numbers import get_decimal_symbol
from pydantic import BaseModel
from pydantic_core import CoreSchema, core_schema

from modest_rotor.core.pseudo import marked
from modest_rotor.core.signs import typed_with_signs, with_signs

ENGLISH = "en"
PSEUDO = "en-XA"
"""The language of tests: every message of the catalogue, marked, so that what is in no catalogue stands out."""
ENDS = {"first": ". ", "head": ":", "clause": "\0"}
"""Before what a text that is cut short ends; a clause is whole."""

Pattern = list[Any]
"""A message as it is loaded: text, ``{"value": name}``, or ``{"on": name, "cases": {case: pattern}, "else": case}``."""


@dataclass(frozen=True)
class Reader:
    """Whom something is said to. :param language: of the words. :param numbers: the language whose decimal sign numbers are written with."""

    language: str = ENGLISH
    numbers: str = ENGLISH


ANYBODY = Reader()
_READER: ContextVar[Reader] = ContextVar("reader", default=ANYBODY)


def reader() -> Reader:
    """For whom this context words what it says."""
    return _READER.get()


def reader_of(tag: str | None) -> Reader:
    """Who reads, by a language tag such as ``es-MX``: the words of its language, where there is a catalogue of it, and the signs of its numbers.

    :param tag: as browsers send it in ``Accept-Language``; what cannot be read is English.
    """
    first = (tag or "").split(",")[0].split(";")[0].strip()
    language = PSEUDO if first == PSEUDO else first.split("-")[0].lower()
    try:
        get_decimal_symbol(locale := str(Locale.parse(first or ENGLISH, sep="-")))
    except (UnknownLocaleError, ValueError):
        locale = ENGLISH
    return Reader(language if language == PSEUDO or language in languages() else ENGLISH, locale)


@cache
def languages() -> tuple[str, ...]:
    """The languages that there are catalogues of."""
    names = (path.name for path in files(__package__).joinpath("messages").iterdir())
    return tuple(sorted(name.removesuffix(".json") for name in names if name.endswith(".json")))


@contextmanager
def reading(who: Reader) -> Iterator[None]:
    """What is worded inside is worded for ``who``."""
    token = _READER.set(who)
    try:
        yield
    finally:
        _READER.reset(token)


@dataclass(frozen=True)
class Number:
    """A number of a sentence, and how it is written: as Python's format specification says, with the reader's signs."""

    value: float
    spec: str

    def __str__(self) -> str:
        return format(self.value, self.spec)


@dataclass(frozen=True)
class Shaped:
    """Text within a sentence or at its beginning, in any language: begun with a capital or a small letter, without its question mark, its first
    sentence or what stands before its colon alone, or as a clause of another sentence, without full stop and figures.

    :param text: as it is said; a member of an enumeration stands for its label. :param how: ``capital``, ``small``, ``asked``, ``first``, ``head`` or ``clause``.
    """

    text: Any
    how: str

    def pieces(self, who: Reader) -> Iterator[Any]:
        """The pieces of the text in their shape."""
        pieces = _joined(list(_value(self.text, who)))
        if self.how in ENDS:
            whole = "".join(piece for piece in pieces if isinstance(piece, str))
            pieces = (whole.partition(ENDS[self.how])[0].rstrip("."),)
        if self.how == "asked":
            pieces = (pieces[0].strip("¿?"),)
        if self.how not in ("first", "head") and pieces and isinstance(pieces[0], str):
            begun = pieces[0][:1].upper() if self.how == "capital" else pieces[0][:1].lower()
            pieces = (begun + pieces[0][1:], *pieces[1:])
        yield from pieces


class _Catalogue(dict[str, Pattern]):
    """The messages of a language by code."""

    def __missing__(self, code: str) -> Pattern:
        raise LookupError(f"no message is called {code}: write it in messages/en and run python -m tools.messages")


@cache
def _catalogue(language: str) -> dict[str, Pattern]:
    if language == PSEUDO:
        return _Catalogue({code: marked(pattern) for code, pattern in _catalogue(ENGLISH).items()})
    text = files(__package__).joinpath("messages", f"{language}.json").read_text(encoding="utf-8")
    own: dict[str, Pattern] = json.loads(text)
    return _Catalogue(own if language == ENGLISH else _catalogue(ENGLISH) | own)


def is_message(code: str) -> bool:
    """Whether the catalogue has a message."""
    return code in _catalogue(ENGLISH)


@dataclass(frozen=True)
class Dated:
    """A day or a time of a sentence, written with the reader's names of months. :param pattern: of the Unicode locale data, such as ``dd MMMM y``."""

    when: date
    pattern: str

    def for_reader(self, who: Reader) -> str:
        """As a reader writes it."""
        return format_datetime(self.when, self.pattern, locale=_locale_of(who.language))


class Words:
    """A message's code and the values that stand in it."""

    code: str
    values: Mapping[str, Any]


class Said(str, Words):
    """Text that knows its message: the English of it, its code and its values."""

    def __new__(cls, code: str, values: Mapping[str, Any]) -> Said:
        """The English of a message. Its pieces are text: a message with figures is a :class:`Sentence`."""
        self = super().__new__(cls, "".join(map(str, _english(code, values))))
        self.code, self.values = code, values
        return self

    @classmethod
    def __get_pydantic_core_schema__(cls, source: Any, handler: Any) -> CoreSchema:
        """As a default of a model it is described as text."""
        return core_schema.str_schema()

    def __repr__(self) -> str:
        return f"{super().__repr__()} of {self.code}"

    def __reduce__(self) -> tuple[type[Said], tuple[str, Mapping[str, Any]]]:
        return Said, (self.code, self.values)


class Sentence(tuple[Any, ...], Words):
    """A phrase that knows its message: its English in pieces, its code and its values."""

    def __new__(cls, code: str, values: Mapping[str, Any]) -> Sentence:
        """The English of a message, its figures standing between the words."""
        self = super().__new__(cls, _joined(_english(code, values)))
        self.code, self.values = code, values
        return self

    def __repr__(self) -> str:
        return f"{super().__repr__()} of {self.code}"

    def __reduce__(self) -> tuple[type[Sentence], tuple[str, Mapping[str, Any]]]:
        return Sentence, (self.code, self.values)


def say(code: str, /, **values: Any) -> str:
    """Text from a message of the catalogue. :param values: what stands in it by its names there: text, numbers, members of enumerations, other text said."""
    return Said(code, values) if values else _said_alone(code)


@cache
def _said_alone(code: str) -> Said:
    return Said(code, {})


def tell(code: str, /, **values: Any) -> tuple[Any, ...]:
    """A phrase from a message of the catalogue, whose values may be figures and phrases as well."""
    return Sentence(code, values)


def run_on(*parts: Any) -> tuple[Any, ...]:
    """A phrase of parts, each of them said elsewhere: text, figures and phrases."""
    return tell("text", text=parts)


def joined(separator: str, parts: Iterable[Any]) -> str:
    """Pieces of text said one after another. :param separator: a sign between them, no word."""
    return _between(parts, separator)


def listed(parts: Iterable[Any]) -> str:
    """Pieces of text as a list in a sentence: this and that."""
    return _between(parts, say("and"))


def either(parts: Iterable[Any]) -> str:
    """Pieces of text as a choice in a sentence: this or that."""
    return _between(parts, say("or"))


def _between(parts: Iterable[Any], word: Any) -> str:
    values: list[Any] = []
    for part in parts:
        values += [word, part] if values else [part]
    return say("text", text=tuple(values))


def capital(text: Any) -> str:
    """Text that begins with a capital letter, in any language. :param text: as it is said, or a code whose label is meant."""
    return say("text", text=Shaped(text, "capital"))


def small(text: Any) -> str:
    """Text that begins with a small letter, as inside a sentence."""
    return say("text", text=Shaped(text, "small"))


def first_sentence(text: Any) -> str:
    """The first sentence of a longer text, without its full stop."""
    return say("text", text=Shaped(text, "first"))


def before_colon(text: Any) -> str:
    """What a text says before its colon."""
    return say("text", text=Shaped(text, "head"))


def clause(sentence: Any) -> str:
    """A sentence as part of another one: it begins small, has no full stop, and leaves out its figures."""
    return say("text", text=Shaped(sentence, "clause"))


def unasked(question: Any) -> str:
    """The words of a question's label without its marks, begun small."""
    return say("text", text=Shaped(question, "asked"))


@overload
def words_for(said: str, who: Reader | None = None) -> str: ...
@overload
def words_for(said: Any, who: Reader | None = None) -> Any: ...
def words_for(said: Any, who: Reader | None = None) -> Any:
    """A piece of text or a phrase as ``who`` reads it; what knows no message stays as it is. :param who: this context's reader, where nobody is named."""
    if type(said) is str:
        return said
    who = who or _READER.get()
    if isinstance(said, Said):
        return str(said) if who == ANYBODY else "".join(map(str, _pieces(said.code, said.values, who)))
    if isinstance(said, Sentence):
        return tuple(said) if who == ANYBODY else _joined(_pieces(said.code, said.values, who))
    if isinstance(said, tuple):
        return tuple(words_for(piece, who) for piece in said)
    return said


def _english(code: str, values: Mapping[str, Any]) -> list[Any]:
    """The pieces of a message in English; most are text with text in it, for which there is a short way."""
    pieces: list[Any] = []
    for part in _catalogue(ENGLISH)[code]:
        if type(part) is str:
            pieces.append(part)
            continue
        value = values[part["value"]] if "value" in part else None
        if isinstance(value, str) and not isinstance(value, Enum):
            pieces.append(str(value))
        elif "value" in part:
            pieces += _value(value, ANYBODY)
        else:
            pieces += _spoken([part], values, ANYBODY)
    return pieces


def _pieces(code: str, values: Mapping[str, Any], who: Reader) -> list[Any]:
    """What a message says: pieces of text, and what is no text as it is."""
    return list(_spoken(_catalogue(who.language)[code], values, who))


def _spoken(pattern: Pattern, values: Mapping[str, Any], who: Reader) -> Iterator[Any]:
    for part in pattern:
        if isinstance(part, str):
            yield part
        elif "value" in part:
            yield from _value(values[part["value"]], who)
        else:
            yield from _spoken(part["cases"][_case(values[part["on"]], part, who)], values, who)


def _case(value: Any, choice: Mapping[str, Any], who: Reader) -> str:
    """Which case of a choice a value falls in: its own name, or for a count its number or its plural form."""
    plain = value.value if isinstance(value, Enum | Number) else value
    if isinstance(plain, bool):
        plain = "yes" if plain else "no"
    names = [f"{plain:g}", _plural(who.language)(plain)] if isinstance(plain, int | float) else [str(plain)]
    otherwise: str = choice["else"]
    return next((name for name in names if name in choice["cases"]), otherwise)


@cache
def _plural(language: str) -> Any:
    return _locale_of(language).plural_form


def _locale_of(language: str) -> Locale:
    return Locale.parse(language.split("-")[0])


def _value(value: Any, who: Reader) -> Iterator[Any]:
    """The pieces of what stands in a message: text, and figures as they are."""
    if isinstance(value, Words):
        yield from _pieces(value.code, value.values, who)
    elif isinstance(value, Enum):
        yield from _value(getattr(value, "label", value.value), who)
    elif isinstance(value, Shaped):
        yield from value.pieces(who)
    elif isinstance(value, tuple | list):
        for piece in value:
            yield from _value(piece, who)
    elif isinstance(value, Exception):
        yield from _value(getattr(value, "sentence", None) or str(value), who)
    elif isinstance(value, str | BaseModel):
        yield value
    elif value is not None:
        yield _written(value, who)


def _written(value: Any, who: Reader) -> str:
    """A number or a day as a reader writes it, anything else as Python does."""
    if isinstance(value, Dated):
        return value.for_reader(who)
    return with_signs(str(value), who.numbers) if isinstance(value, Number | int | float) else str(value)


def in_signs(written: str, who: Reader | None = None) -> str:
    """A number as Python writes it, with the signs of a reader. :param who: this context's reader, where nobody is named."""
    return with_signs(written, (who or _READER.get()).numbers)


def typed_in_signs(typed: str, who: Reader | None = None) -> str:
    """Decimals of a typed text with a reader's sign; see `signs.typed_with_signs`."""
    return typed_with_signs(typed, (who or _READER.get()).numbers)


def _joined(pieces: list[Any]) -> tuple[Any, ...]:
    """Pieces with those of text that stand beside each other made one."""
    joined: list[Any] = []
    for piece in pieces:
        if isinstance(piece, str) and joined and isinstance(joined[-1], str):
            joined[-1] += piece
        elif piece != "":
            joined.append(piece)
    return tuple(joined)
