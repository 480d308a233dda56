"""The catalogue goes out and comes in whole; every bad row is named with its reasons, and none of it is written."""

from __future__ import annotations

import json
from importlib.resources import files
from typing import Any

import jsonschema
import pytest

from modest_rotor.core.catalogue import refusals
from modest_rotor.formats.catalogue_files import (
    CatalogueRefused,
    propose,
    read_catalogue,
    read_product,
    schema,
    write_csv,
    write_json,
)
from tests.said import codes_of, refused_with

SHIPPED = files("modest_rotor.demo").joinpath("catalogue.csv").read_text(encoding="utf-8")
MOTOR: dict[str, Any] = {
    "code": "test-motor", "type": "motor", "name": "Test motor", "motor_kind": "electronic", "rated_power": "1/2 hp",
    "rated_voltage": "230 V", "phases": 1, "rated_speed": "1,050 rpm", "rated_current": "4.1 A", "price": "300",
    "nominal_efficiency": "79 %", "least_efficiency": "76 %",
}  # fmt: skip


def test_the_shipped_catalogue_is_whole_and_sound() -> None:
    read = read_catalogue(SHIPPED)
    assert not read.refused and not read.unknown_columns
    assert len(read.products) >= 30
    assert {product.type for product in read.products} == {"motor", "module", "drive", "regulator", "fan", "pump"}


@pytest.mark.parametrize("write", [write_csv, write_json])
def test_what_goes_out_comes_in_the_same(write: Any) -> None:
    kept = tuple(read_catalogue(SHIPPED).products)
    back = read_catalogue(write(kept))
    assert tuple(back.products) == kept
    told = propose(back, kept)
    assert len(told.unchanged) == len(kept) and not (told.new or told.replaced or told.refused)


def test_the_json_keeps_to_its_published_schema() -> None:
    kept = tuple(read_catalogue(SHIPPED).products)
    jsonschema.validate(json.loads(write_json(kept)), schema())


@pytest.mark.parametrize(
    ("change", "words"),
    [
        ({"nominal_efficiency": "99.5 %"}, "impossible"),
        ({"least_efficiency": "85 %"}, "more than its nominal"),
        ({"rated_current": "1.2 A"}, "is wrong"),
        ({"price": "0"}, "lies between"),
        ({"price": None}, "lacks price"),
        ({"rated_power": "half"}, "cannot be read"),
        ({"phases": 2}, "Phases"),
        ({"code": "Bad Code!"}, "Code"),
        ({"motor_kind": "three-phase", "frequency": "60 Hz", "rated_speed": "2,500 rpm"}, "2,500"),
    ],
    ids=lambda value: str(value)[:30] if isinstance(value, dict) else None,
)
def test_an_impossible_entry_is_refused_with_its_reason(change: dict[str, Any], words: str) -> None:
    _, reasons = read_product({key: value for key, value in (MOTOR | change).items() if value is not None})
    assert any(words in reason for reason in reasons), reasons


def test_a_sound_entry_has_no_reason() -> None:
    product, reasons = read_product(MOTOR)
    assert product is not None and not reasons and not refusals(product)


FAN_ROWS = [
    ("0 m³/h", "420 Pa", "120 W"),
    ("800 m³/h", "415 Pa", "190 W"),
    ("1600 m³/h", "390 Pa", "262 W"),
    ("2400 m³/h", "330 Pa", "318 W"),
]


@pytest.mark.parametrize(
    ("row", "words"),
    [
        (("700 m³/h", "330 Pa", "318 W"), "does not flow more"),
        (("2400 m³/h", "330 Pa", "100 W"), "gives more than its shaft takes"),
        (("2400 m³/h", "330 Pa"), "lacks"),
    ],
)
def test_a_curve_that_no_machine_has_is_refused(row: tuple[str, ...], words: str) -> None:
    points = [dict(zip(("airflow", "pressure", "shaft_power"), cells, strict=False)) for cells in (*FAN_ROWS[:3], row)]
    fan = {
        "code": "test-fan", "type": "fan", "name": "Fan", "rated_power": "370 W", "rated_voltage": "230 V", "phases": 1,
        "rated_speed": "1,600 rpm", "curve_speed": "1,600 rpm", "price": "400", "curve": points,
    }  # fmt: skip
    _, reasons = read_product(fan)
    assert any(words in reason for reason in reasons), reasons


def test_bad_rows_stand_aside_and_good_ones_are_told() -> None:
    text = write_csv(tuple(read_catalogue(SHIPPED).products[:3]))
    lines = text.splitlines()
    read = read_catalogue("\n".join([*lines, lines[1], "bad-row,motor,Nothing else"]))
    assert len(read.products) == 3
    twice, bare = read.refused
    assert (twice.row, bare.row) == (5, 6)
    assert "catalogue-files-checked" in codes_of(twice.reasons[-1]) and "core-catalogue-refusals" in codes_of(
        bare.reasons[0]
    )


@pytest.mark.parametrize(
    ("text", "words"),
    [
        ("", "no catalogue"),
        ("a,b\n1,2", "names code and type"),
        ('{"format": "other"}', "says “format”"),
        ("{", "cannot be read as JSON"),
    ],
    ids=["empty", "other table", "other file", "broken"],
)
def test_what_is_no_catalogue_is_refused(text: str, words: str) -> None:
    with pytest.raises(CatalogueRefused, match=words):
        read_catalogue(text)


def test_words_that_a_spreadsheet_would_run_are_defused() -> None:
    product, _ = read_product(MOTOR | {"note": "=1+1"})
    assert product is not None
    assert ",'=1+1" in write_csv((product,))
    assert read_catalogue(write_csv((product,))).products[0].note == "=1+1"


def test_what_is_new_replaced_and_the_same_is_told_apart() -> None:
    one, two, three, *_ = read_catalogue(SHIPPED).products
    other = two.model_copy(update={"note": "another word"})
    told = propose(read_catalogue(write_json((one, other, three))), (one, two))
    assert (told.unchanged, told.replaced, told.new) == ([one.code], [two.code], [three.code])


@pytest.mark.parametrize("head", ["code,name", "type,name", "name,price"])
def test_a_table_without_code_or_type_is_no_catalogue(head: str) -> None:
    with refused_with(CatalogueRefused, "catalogue-files-csv-rows-head-catalogue"):
        read_catalogue(f"{head}\na,b\n")
