"""Figures as plain text."""

from __future__ import annotations

from decimal import Decimal

import pytest

from modest_rotor.core.entry import read_entry
from modest_rotor.core.estimate import COVERAGE_95, measured
from modest_rotor.core.phrase import Figure, as_typed, figure
from modest_rotor.core.quantities import quantity
from modest_rotor.formats.text import written


def test_a_small_flow_keeps_two_figures() -> None:
    one = figure("airflow", measured(0.00047194744, meter=0.00005 / COVERAGE_95))
    assert written(one, "si") == "0.47 ± 0.05 L/s"
    assert written(figure("airflow", 0.00047194744), "ip") == "1.0 cfm"
    assert written(figure("airflow", 0.5104), "si") == "510 L/s"


@pytest.mark.parametrize(
    ("quantity", "typed", "told"),
    [
        ("shaft_power", "3/4 hp", "3/4 hp"),
        ("current", "4.4", "4.4 A"),
        ("efficiency", "78 %", "78 %"),
        ("current", "4.4 amps", "4.4 amps"),
    ],
)
def test_what_was_typed_is_told_as_typed_with_a_unit_where_none_was(quantity: str, typed: str, told: str) -> None:
    entry = read_entry(quantity, typed, "si")
    assert written(as_typed(quantity, entry, "plate"), "si") == told


@pytest.mark.parametrize(
    ("low", "high", "told"),
    [
        (1.7, 3.02, "1.7 to 3.0 years"),
        (11.24, 36.4, "11.0 to 36.0 years"),
        (0.31, 0.84, "0.3 to 0.8 years"),
        (104.0, 350.0, "100 to 350 years"),
        (3.0, None, "3.0 years or more"),
    ],
)
def test_a_range_is_told_to_two_figures_of_its_larger_end(low: float, high: float | None, told: str) -> None:
    figure = Figure(quantity="payback", value=high or low, low=low, high=high)
    assert written(figure, "si") == told


@pytest.mark.parametrize(("currency", "told"), [("USD", "980 ± 98 USD"), (None, "980 ± 98"), ("", "980 ± 98")])
def test_money_is_told_in_the_currency_where_one_is_said(currency: str | None, told: str) -> None:
    assert written(figure("money", measured(980.0, a=50.0)), "si", currency) == told


@pytest.mark.parametrize("uncertainty", [0.0123, 0.47, 0.951, 1.0, 9.96, 10.0, 37.4, 99.4, 123.0, 4321.0])
@pytest.mark.parametrize("name", ["input_power", "speed", "pressure", "current", "temperature"])
def test_an_uncertainty_has_two_figures_and_its_value_no_finer_place(name: str, uncertainty: float) -> None:
    """JCGM 100, 7.2.6: an uncertainty is stated to at most two significant figures, the value to the same place. Here never finer than
    the quantity's own decimals either. Rounded once more by ``decimal``.
    """
    what = quantity(name)
    unit, finest = what.reader_unit("si"), Decimal(1).scaleb(-what.decimals["si"])
    value = 12345.678901
    place = max(Decimal(1).scaleb(Decimal(repr(uncertainty)).adjusted() - 1), finest)
    figure_ = Figure(quantity=name, value=unit.to_si(value), uncertainty=uncertainty * unit.factor)
    number, _, rest = written(figure_, "si").partition(" ± ")
    said = Decimal(rest.split(" ")[0].replace(",", ""))
    assert said == max((Decimal(repr(uncertainty)) / place).to_integral_value() * place, place)
    assert abs(Decimal(number.replace(",", "")) - Decimal(repr(value))) <= place / 2
    assert Decimal(number.replace(",", "")) % place == 0
