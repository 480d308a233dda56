"""Numbers as people write them: fractions, grouped thousands, and a decimal mark that is a point here and a comma there.

``1.200`` and ``1,200`` are a thousand and two hundred to one reader and one and a fifth to another. Where the style of a place
is not known, both readings are given, and whoever knows what the number is for takes the one that can be, or asks.
"""

from __future__ import annotations

import math
import re
from dataclasses import dataclass
from enum import StrEnum
from fractions import Fraction

from modest_rotor.core.errors import QuantityRefused
from modest_rotor.core.say import say

_VULGAR = str.maketrans(
    {"½": " 1/2", "¼": " 1/4", "¾": " 3/4", "⅓": " 1/3", "⅔": " 2/3", "⅛": " 1/8", "⅜": " 3/8", "⅝": " 5/8", "⅞": " 7/8",
     "⅕": " 1/5", "⅙": " 1/6", "−": "-", "⁄": "/"}
)  # fmt: skip
_SPACE = "[ \u00a0\u2009\u202f]"
"""A plain blank, or one of those that keep thousands together."""
_GROUPED = rf"\d{{1,3}}(?:{_SPACE}\d{{3}})+(?![\d/])(?:[.,]\d+)?|\d{{1,3}}(?:['’]\d{{3}})+(?:[.,]\d+)?"
_MARKED = r"\d+(?:[.,]\d+)*\.?|[.,]\d+"
DECIMAL = rf"(?:{_GROUPED}|{_MARKED})(?:e[+-]?\d{{1,3}})?(?!\d)"
NUMERAL = rf"(?:\d+[ -]+\d+/\d+|\d+/\d+|{DECIMAL})"
"""One number without its sign, after :func:`plain_fractions`."""


class NumberStyle(StrEnum):
    """How numbers are written at a place: 1,234.5 or 1.234,5."""

    POINT = "point"
    COMMA = "comma"


@dataclass(frozen=True)
class Numeral:
    """What a number is taken for.

    :param last_digit: size of its last digit; nought for a fraction, which is exact.
    """

    value: float
    last_digit: float


def plain_fractions(text: str) -> str:
    """The text with signs such as ½ as digits."""
    return text.translate(_VULGAR)


def numerals(text: str, style: NumberStyle | None = NumberStyle.POINT) -> tuple[Numeral, ...]:
    """What a number can mean, the likelier first: one reading, or two where its mark may be either.

    :param text: one number, as :data:`NUMERAL` finds it. :param style: of the place where it was written; ``None`` if not known.
    :raises QuantityRefused: a fraction over nought, a number too large to be one, or digits that no style groups so.

    A mark that stands twice, and one with other than three digits after it, can be of one kind only, whatever the style.
    """
    if "/" in text:
        whole, _, fraction = text.replace("-", " ").rpartition(" ")
        if Fraction(fraction.split("/")[1]) == 0:
            raise QuantityRefused(say("numerals", text=text))
        return (Numeral(float(Fraction(fraction) + Fraction(whole.strip() or 0)), 0.0),)
    mantissa, _, exponent = re.sub(_SPACE + "|['’]", "", text.lower()).partition("e")
    return tuple(_numeral(plain, int(exponent or 0), text) for plain in _plain(mantissa, style, text))


def _plain(mantissa: str, style: NumberStyle | None, text: str) -> tuple[str, ...]:
    """The digits with a decimal point and no groups, in each way that they may be read."""
    marks = [sign for sign in mantissa if sign in ".,"]
    if not marks:
        return (mantissa,)
    last = marks[-1]
    if len(set(marks)) == 2:
        whole, _, rest = mantissa.rpartition(last)
        if marks.count(last) > 1 or not _is_grouped(whole):
            raise QuantityRefused(say("numerals-plain-mixes-points", text=text))
        return (re.sub(r"[.,]", "", whole) + "." + rest,)
    grouped = mantissa.replace(last, "") if _is_grouped(mantissa) else None
    decimal = mantissa.replace(last, ".") if len(marks) == 1 else None
    if grouped is None and decimal is None:
        raise QuantityRefused(say("numerals-plain-marks-where", text=text))
    if grouped is None or decimal is None:
        return (grouped or decimal or "",)
    groups = {NumberStyle.POINT: ",", NumberStyle.COMMA: "."}
    if style is not None:
        return (grouped,) if last == groups[style] else (decimal,)
    return (decimal, grouped) if last == "." else (grouped, decimal)


def _is_grouped(digits: str) -> bool:
    return re.fullmatch(r"[1-9]\d{0,2}(?:([.,])\d{3})(?:\1\d{3})*", digits) is not None


def _numeral(plain: str, exponent: int, text: str) -> Numeral:
    value = float(f"{plain}e{exponent}")
    if not math.isfinite(value):
        raise QuantityRefused(say("numerals-numeral", text=text))
    return Numeral(value, float(f"1e{exponent - len(plain.partition('.')[2])}"))


def span_told(seconds: float) -> str:
    """A span of time in words, in its largest unit of which there is one whole: ``40 seconds``, ``1 hour``, ``3 days``.

    :param seconds: the span in s, not negative; less than one second is ``a moment``.
    """
    for unit, length in (("day", 86400), ("hour", 3600), ("minute", 60), ("second", 1)):
        whole = int(seconds // length)
        if whole >= 1:
            return f"{whole} {unit}{'s' if whole > 1 else ''}"
    return say("numerals-span-told")
