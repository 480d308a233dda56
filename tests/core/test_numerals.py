"""Numbers in the styles in which people write them, against the rules of CLDR for grouping and decimal marks (from memory)."""

from __future__ import annotations

import pytest
from hypothesis import given
from hypothesis import strategies as st

from modest_rotor.core.errors import QuantityRefused
from modest_rotor.core.numerals import NumberStyle, numerals, span_told

POINT, COMMA = NumberStyle.POINT, NumberStyle.COMMA


@pytest.mark.parametrize(
    ("text", "style", "values"),
    [
        ("1200", None, [1200]),
        ("1.2", None, [1.2]),
        ("1,2", POINT, [1.2]),  # nothing else fits
        ("1.200", POINT, [1.2]),
        ("1.200", COMMA, [1200]),
        ("1,200", POINT, [1200]),
        ("1,200", COMMA, [1.2]),
        ("1.200", None, [1.2, 1200]),
        ("1,200", None, [1200, 1.2]),
        ("0,370", None, [0.37]),
        ("0.370", None, [0.37]),
        ("12,3456", None, [12.3456]),
        ("1,200,000", COMMA, [1200000]),  # a mark that stands twice groups
        ("1.200.000,5", None, [1200000.5]),
        ("1,200.5", COMMA, [1200.5]),
        ("1 200", None, [1200]),
        ("1\u202f200,5", None, [1200.5]),
        ("1'200.5", None, [1200.5]),
        ("3/4", None, [0.75]),
        ("1-1/2", None, [1.5]),
        ("1 1/2", None, [1.5]),
        (",5", None, [0.5]),
        (".5", COMMA, [0.5]),
        ("5.", None, [5]),
        ("2e3", None, [2000]),
        ("1200,000", None, [1200.0]),  # four digits before a group are none
    ],
)
def test_readings_of_one_number(text: str, style: NumberStyle | None, values: list[float]) -> None:
    assert [one.value for one in numerals(text, style)] == values


@pytest.mark.parametrize("text", ["1,2,3", "1.2.3", "1,23,456", "1.234,5,6", "1/0"])
def test_what_no_style_writes_so_is_refused(text: str) -> None:
    with pytest.raises(QuantityRefused):
        numerals(text, None)


@given(st.integers(0, 10**9), st.integers(0, 4), st.sampled_from(NumberStyle))
def test_a_number_written_in_a_style_is_read_in_it(digits: int, decimals: int, style: NumberStyle) -> None:
    """Python's own grouping, with its marks exchanged for a decimal comma."""
    value = digits / 10**decimals
    text = f"{value:,.{decimals}f}"
    if style is COMMA:
        text = text.translate(str.maketrans(",.", ".,"))
    assert [one.value for one in numerals(text, style)] == [value]
    assert value in [one.value for one in numerals(text, None)]


@pytest.mark.parametrize(
    ("seconds", "told"),
    [
        (0.0, "a moment"),
        (0.99, "a moment"),
        (1.0, "1 second"),
        (59.9, "59 seconds"),
        (60.0, "1 minute"),
        (3599.0, "59 minutes"),
        (3600.0, "1 hour"),
        (2 * 86400.0 - 1, "1 day"),
        (2 * 86400.0, "2 days"),
    ],
)
def test_a_span_is_told_in_its_largest_whole_unit(seconds: float, told: str) -> None:
    assert span_told(seconds) == told
