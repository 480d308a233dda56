"""The decimal and grouping signs that a language writes numbers with."""

from __future__ import annotations

import re
from functools import cache

from babel.numbers import get_decimal_symbol, get_group_symbol

DECIMALS = re.compile(r"(?<!\d)(\d+)([.,])(\d+)")


def typed_with_signs(typed: str, numbers: str) -> str:
    """Decimals of a typed text with the sign of a language; where a mark could stand between thousands, the text stays as it was typed.

    :param typed: what a person typed; it may hold several numbers
    :param numbers: the tag of the language whose signs are written
    """
    _, mine = _number_signs(numbers)
    if mine in typed:
        return typed

    def written(found: re.Match[str]) -> str:
        whole, _, rest = found.groups()
        plain = len(rest) != 3 or len(whole) > 3 or whole == "0"
        return f"{whole}{mine}{rest}" if plain else found[0]

    return DECIMALS.sub(written, typed)


def with_signs(written: str, numbers: str) -> str:
    """A number as Python writes it, with the decimal and grouping signs of a language.

    :param written: digits with "." before decimals and "," between thousands
    :param numbers: the tag of the language whose signs are written
    """
    group, decimal = _number_signs(numbers)
    if (group, decimal) == (",", "."):
        return written
    return written.translate({ord(","): group, ord("."): decimal})


@cache
def _number_signs(numbers: str) -> tuple[str, str]:
    return get_group_symbol(numbers), get_decimal_symbol(numbers)
