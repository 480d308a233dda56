"""When a service is due again, as it is typed."""

from __future__ import annotations

import pytest

from modest_rotor.core.drift.log import interval_days
from modest_rotor.core.errors import QuantityRefused
from tests.said import refused_with


@pytest.mark.parametrize(
    ("typed", "days"),
    [
        ("6", 183),
        ("6 months", 183),
        ("90 days", 90),
        ("2 weeks", 14),
        ("1.5 years", 548),
        ("2 Years", 730),
        ("0,5 year", 183),
        ("1 day", 1),
        ("6 meses", 183),
        ("1 MES", 30),
        ("90 días", 90),
        ("1 dia", 1),
        ("20 years", 7305),
        ("2 semanas", 14),
        ("1,5 años", 548),
    ],
)
def test_a_span_is_read_as_it_is_typed(typed: str, days: int) -> None:
    """A year of 365.25 days, a month of a twelfth of it."""
    assert interval_days(typed) == days


def test_nothing_typed_is_due_never() -> None:
    assert interval_days("  ") is None


@pytest.mark.parametrize(
    "typed",
    ["six", "0", "21 years", "-3 months", "6 months 3", "6 moons", "1e3 days", "6 lunas", "٣ months", "9" * 400],
)
def test_what_is_no_span_is_refused_with_words_and_an_example(typed: str) -> None:
    with refused_with(QuantityRefused, "drift-log-interval-days") as refused:
        interval_days(typed)
    assert typed[:40] in str(refused.value)
