"""The working behind a result: formula, the values put in with where each came from, the source of the rule."""

from __future__ import annotations

from enum import StrEnum

from pydantic import Field

from modest_rotor.core.error_sources import words_of_source
from modest_rotor.core.estimate import Estimate
from modest_rotor.core.outcome import Absent, Waiting, Withheld
from modest_rotor.core.phrase import Basis, Figure, Frozen, Phrase, figure
from modest_rotor.core.say import joined


class Ingredient(Frozen):
    """One value put into a formula."""

    symbol: str
    label: str
    figure: Figure
    origin: str = Field(default="", description="where it was read, typed or taken from")


class Working(Frozen):
    """How a result was worked out, so that anybody can check it by hand."""

    formula: str
    ingredients: tuple[Ingredient, ...]
    source: str = Field(description="standard, handbook, textbook, or “common practice” or “our judgement, no source”")
    remarks: tuple[str, ...] = ()
    shares: dict[str, float] = Field(default_factory=dict, description="share of each error source in the uncertainty")


class Status(StrEnum):
    """Whether a result is there, comes as soon as something is read or said, or is kept back for a reason."""

    KNOWN = "known"
    WAITING = "waiting"
    WITHHELD = "withheld"


class Result(Frozen):
    """A figure with its working, or why there is none."""

    label: str
    figure: Figure | None = None
    waits: Phrase | None = Field(
        default=None, description="what it waits for or why it is withheld, when there is no figure"
    )
    status: Status = Field(default_factory=lambda said: Status.KNOWN if said.get("figure") else Status.WAITING)
    working: Working | None = None

    @property
    def absent(self) -> Absent | None:
        """Why there is no figure, for what is worked out from this result."""
        if self.waits is None:
            return None
        words = joined("", (piece for piece in self.waits if not isinstance(piece, Figure)))
        return Withheld(words) if self.status is Status.WITHHELD else Waiting(words)


def given(
    symbol: str, label: str, quantity: str, value: Estimate | float, basis: Basis, origin: str = ""
) -> Ingredient:
    """An ingredient from a value and what it stands on."""
    return Ingredient(symbol=symbol, label=label, figure=figure(quantity, value, basis), origin=origin)


def result(
    label: str,
    quantity: str,
    value: Estimate | float,
    formula: str,
    ingredients: tuple[Ingredient, ...],
    source: str,
    remarks: tuple[str, ...] = (),
) -> Result:
    """A worked result; its uncertainty's shares are taken from the estimate.

    :param value: in the unit used inside. :param source: of the rule, as a reader is told. Source: definition.
    """
    shares = told_shares(value) if isinstance(value, Estimate) else {}
    working = Working(formula=formula, ingredients=ingredients, source=source, remarks=remarks, shares=shares)
    return Result(label=label, figure=figure(quantity, value), working=working)


def told_shares(value: Estimate) -> dict[str, float]:
    """The share of each source of error in a value's variance, by the source in words. Source: definition."""
    return {words_of_source(name): share for name, share in value.shares().items()}


def waiting(label: str, why: Phrase) -> Result:
    """A result that waits, with the words that say for what. Source: definition."""
    return Result(label=label, waits=why)


def withheld(label: str, why: Phrase) -> Result:
    """A result that is kept back, with the words that say why. Source: definition."""
    return Result(label=label, waits=why, status=Status.WITHHELD)


def not_known(label: str, why: Absent) -> Result:
    """A result that is not there, as what it was to be worked from says. Source: definition."""
    return withheld(label, (why.why,)) if isinstance(why, Withheld) else waiting(label, (why.why,))
