"""Sentences that carry figures: the core says the words and the SI values, the reader's edge chooses the units."""

from __future__ import annotations

from typing import Annotated, ClassVar, Literal

from pydantic import BaseModel, BeforeValidator, ConfigDict, Field, GetCoreSchemaHandler
from pydantic_core import CoreSchema

from modest_rotor.core.entry import Entry
from modest_rotor.core.estimate import Estimate
from modest_rotor.core.said_fields import keeping_words, with_former_names
from modest_rotor.core.say import say

Basis = Literal["measured", "plate", "estimated", "assumed", "worked-out", "typed"]
BASIS_WORDS: dict[Basis, str] = {
    "measured": say("basis-measured"),
    "plate": say("basis-plate"),
    "estimated": say("basis-estimated"),
    "assumed": say("basis-assumed"),
    "worked-out": say("basis-worked-out"),
    "typed": say("basis-typed"),
}
"""What a person reads of it."""


def _coded(basis: object) -> object:
    """A basis as it is said today: what was signed in version 1 holds its words."""
    return next((code for code, words in BASIS_WORDS.items() if words == basis), basis)


KeptBasis = Annotated[Basis, BeforeValidator(_coded)]


class WithWords(BaseModel):
    """A model in which what is said keeps its message, and is written as JSON in the reader's words.

    ``formerly`` are the names that fields had in answers which earlier programs kept, by today's: they are read under either.
    """

    formerly: ClassVar[tuple[tuple[str, str], ...]] = ()

    @classmethod
    def __get_pydantic_core_schema__(cls, source: type[BaseModel], handler: GetCoreSchemaHandler) -> CoreSchema:
        """The schema of the model with its text and phrases kept as they are said, and what an earlier program kept read."""
        return with_former_names(keeping_words(handler(source)), cls.formerly)


class Frozen(WithWords):
    """Data that never changes once made."""

    model_config = ConfigDict(frozen=True, extra="forbid", defer_build=True)


class Figure(Frozen):
    """One number of a sentence or a table: its quantity, value and 95 % uncertainty, both in the unit used inside."""

    formerly = (("uncertainty", "band"),)

    quantity: str = Field(description="name in the table of quantities")
    value: float
    uncertainty: float | None = Field(default=None, description="half the 95 % interval; absent where none applies")
    low: float | None = Field(default=None, description="lower end, for a lopsided range")
    high: float | None = Field(default=None, description="upper end; absent when the range is open upward")
    basis: KeptBasis = "worked-out"
    entry: Entry | None = Field(default=None, description="what was typed, where the figure is just that")


Phrase = tuple[str | Figure, ...]
"""A sentence in pieces: words, and figures that the reader's edge writes in the reader's units."""


def figure(quantity: str, value: Estimate | float, basis: Basis = "worked-out") -> Figure:
    """A figure from an estimate (with its uncertainty) or from a plain number (without)."""
    if isinstance(value, Estimate):
        return Figure(
            quantity=quantity,
            value=value.value,
            uncertainty=value.uncertainty if value.contributions else None,
            basis=basis,
        )
    return Figure(quantity=quantity, value=value, basis=basis)


def as_typed(quantity: str, entry: Entry, basis: Basis) -> Figure:
    """A figure that is just what was typed, so that it is shown no finer than it was read."""
    return Figure(quantity=quantity, value=entry.si, basis=basis, entry=entry)


def plain(phrase: Phrase) -> str:
    """A phrase as text in SI, for the headless door and for logs."""
    return "".join(piece if isinstance(piece, str) else _written(piece) for piece in phrase)


def _written(piece: Figure) -> str:
    uncertainty = f" ± {piece.uncertainty:.2g}" if piece.uncertainty else ""
    return f"{piece.value:.4g}{uncertainty} ({piece.quantity})"
