"""Figures, results and workings as plain text in a reader's units."""

from __future__ import annotations

import math

from modest_rotor.core.calculations.calculation import Calculated
from modest_rotor.core.phrase import BASIS_WORDS, Figure, Phrase
from modest_rotor.core.quantities import Unit, UnitSystem, quantity, unit_words
from modest_rotor.core.say import in_signs, say, typed_in_signs, words_for
from modest_rotor.core.working import Ingredient, Result

OPEN_UPWARD = ("payback", "running_hours")
"""Quantities whose range may have no upper end."""
ONE_PLACE_BELOW = 100.0
LOST_BELOW, FINER = 5.0, 1e-3
"""Steps below which a value is lost in its decimals, and how much finer it is written then at the most."""


def written(figure: Figure, units: UnitSystem, currency: str | None = None) -> str:
    """A figure with its uncertainty and unit, no finer than the uncertainty allows; a lopsided one as its range."""
    if figure.entry is not None:
        return as_entered(figure, units)
    if figure.low is not None or (figure.high is None and figure.quantity in OPEN_UPWARD):
        return _range(figure, units)
    what = quantity(figure.quantity)
    unit = what.reader_unit(units)
    finest = 10.0 ** -what.decimals[units]
    if what.dimension == "volume flow":  # a little of it is not nothing: one cubic foot a minute is no 0 L/s
        finest = _finest(unit.from_si(figure.value), what.decimals[units])
    uncertainty = None if figure.uncertainty is None else figure.uncertainty / unit.factor
    step = max(finest, 10.0 ** (math.floor(math.log10(uncertainty)) - 1)) if uncertainty else finest
    places = max(0, -math.floor(math.log10(step) + 1e-9))
    value = round(unit.from_si(figure.value) / step) * step
    beside = f" ± {round(max(uncertainty, step) / step) * step:,.{places}f}" if uncertainty else ""
    symbol = in_words(unit, currency)
    number = f"{value:,.{places}f}{beside}".replace("-", "−", 1 if value < 0 else 0)
    return f"{in_signs(number)} {symbol}".rstrip()


def in_words(unit: Unit, currency: str | None) -> str:
    """A unit as a person reads it; money shows its currency."""
    if unit.symbol == "money":
        return currency or ""
    return words_for(unit_words(unit.symbol))


def _finest(value: float, decimals: int) -> float:
    """The step of a quantity's own decimals; finer for a value that would be lost in it, which keeps two figures."""
    finest, size = 10.0**-decimals, abs(value)
    if size >= LOST_BELOW * finest or size < finest * FINER:
        return finest
    return max(finest * FINER, 10.0 ** (math.floor(math.log10(size) + 1e-6) - 1))


def sentence(phrase: Phrase, units: UnitSystem, currency: str | None = None) -> str:
    """A phrase as text in a reader's units."""
    return "".join(piece if isinstance(piece, str) else written(piece, units, currency) for piece in words_for(phrase))


def as_entered(figure: Figure, units: UnitSystem) -> str:
    """What was typed, with its unit where none was typed with it."""
    assert figure.entry is not None
    entry = figure.entry
    typed = typed_in_signs(entry.typed)
    return f"{typed} {words_for(unit_words(entry.unit))}".strip() if entry.is_bare else typed


def _range(figure: Figure, units: UnitSystem) -> str:
    what = quantity(figure.quantity)
    unit = what.reader_unit(units)
    low, high = (None if end is None else unit.from_si(end) for end in (figure.low, figure.high))
    largest = max(abs(end) for end in (low, high, unit.from_si(figure.value)) if end is not None)
    places = 1 if largest < ONE_PLACE_BELOW else 0
    step = 10.0 ** (math.floor(math.log10(largest)) - 1) if largest >= 1 else 10.0**-places

    def said(end: float) -> str:
        return in_signs(f"{round(end / step) * step:,.{places}f}")

    if low is None or high is None:
        return words_for(say("text-range-more", said=said(low or 0.0), symbol=unit_words(unit.symbol)))
    return words_for(say("text-range-to", said=said(low), said_2=said(high), symbol=unit_words(unit.symbol)))


def origin_of(one: Ingredient) -> str:
    """Where a value that was put into a formula is from, or what it stands on."""
    return words_for(one.origin or BASIS_WORDS[one.figure.basis])


def told(calculated: Calculated, units: UnitSystem) -> str:
    """A calculation's results with their working, one fact to a line."""
    lines = [f"{words_for(one.label)}: {written(one.figure, units)}" for one in calculated.results if one.figure]
    lines += map(words_for, calculated.words)
    if calculated.results:
        lines += _working(calculated.results[0], units)
    return "\n".join(lines)


def _working(result: Result, units: UnitSystem) -> list[str]:
    working = result.working
    if working is None:
        return []
    values = [
        f"  {one.symbol or '·'}  {words_for(one.label)}: {written(one.figure, units)} ({origin_of(one)})"
        for one in working.ingredients
    ]
    return [
        f"  {words_for(working.formula)}",
        *values,
        *(f"  {words_for(remark)}" for remark in working.remarks),
        words_for(say("text-working", source=working.source)),
    ]
