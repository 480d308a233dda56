"""A catalogue as CSV and JSON: out whole, in with the reasons of every row that cannot be taken."""

from __future__ import annotations

import csv
import io
import json
from typing import Any

from pydantic import ValidationError

from modest_rotor.core.catalogue import CATALOGUE_FORMAT, MOST_PRODUCTS, CatalogueFile, refusals
from modest_rotor.core.entry import Entry
from modest_rotor.core.errors import QuantityRefused, Refusal
from modest_rotor.core.phrase import WithWords
from modest_rotor.core.say import Number, say
from modest_rotor.core.stations.product import CurvePoint, Product, ProductType
from modest_rotor.core.unfit import reason_of
from modest_rotor.formats.cells import plain_text, rows_of, safe_text

LARGEST_CATALOGUE = 4_000_000
MOST_TOLD = 100
COLUMNS = tuple(name for name in Product.model_fields)
BETWEEN, ROWS = "|", ";"
LONGEST_CURVE = 8_000
"""Characters of a curve in one cell."""


class CatalogueRefused(Refusal):
    """A file that is no catalogue."""


class RowRefused(WithWords):
    """An entry that cannot be taken, and every reason."""

    row: int
    code: str
    reasons: list[str]


class CatalogueProposal(WithWords):
    """What an import would do; nothing is written until it is confirmed, and then only whole entries."""

    new: list[str]
    replaced: list[str]
    unchanged: list[str]
    refused: list[RowRefused]
    unknown_columns: list[str]


class CatalogueRead(WithWords):
    """A file as read: sound entries, and the others with their reasons."""

    products: list[Product]
    refused: list[RowRefused]
    unknown_columns: list[str]


def write_json(products: tuple[Product, ...]) -> str:
    """The whole catalogue in the open format; what was typed stands beside what it means."""
    return CatalogueFile(products=products).model_dump_json(indent=1, exclude_none=True)


def schema() -> dict[str, Any]:
    """The published JSON schema of the open format. A value is text with its unit, or an object with “typed” and “unit”."""
    return CatalogueFile.model_json_schema(mode="validation")


def write_csv(products: tuple[Product, ...]) -> str:
    """One entry to a row, each value as typed with its unit; a curve as rows between semicolons."""
    out = io.StringIO()
    writer = csv.writer(out, lineterminator="\r\n")
    writer.writerow(COLUMNS)
    for product in products:
        writer.writerow([_cell(name, getattr(product, name)) for name in COLUMNS])
    return out.getvalue()


def read_catalogue(text: str) -> CatalogueRead:
    """A catalogue file of either form.

    :raises CatalogueRefused: neither form, or larger than a catalogue may be. Single entries never raise: each is listed with
        its reasons.
    """
    if len(text) > LARGEST_CATALOGUE:
        raise CatalogueRefused(
            say(
                "catalogue-files-read-catalogue-file-characters",
                text=Number(len(text), ","),
                largest_catalogue=Number(LARGEST_CATALOGUE, ","),
            )
        )
    bare = text.lstrip("\ufeff").strip()
    if "\0" in bare or not bare:
        raise CatalogueRefused(say("catalogue-files-read-catalogue-catalogue-nothing"))
    rows, unknown = _json_rows(bare) if bare[0] in "{[" else _csv_rows(bare)
    if len(rows) > MOST_PRODUCTS:
        raise CatalogueRefused(
            say(
                "catalogue-files-read-catalogue-file-entries",
                rows=Number(len(rows), ","),
                most_products=Number(MOST_PRODUCTS, ","),
            )
        )
    return _checked(rows, unknown)


def propose(read: CatalogueRead, kept: tuple[Product, ...]) -> CatalogueProposal:
    """What taking a file in would do to what is kept."""
    here = {product.code: product for product in kept}
    return CatalogueProposal(
        new=[one.code for one in read.products if one.code not in here],
        replaced=[one.code for one in read.products if one.code in here and here[one.code] != one],
        unchanged=[one.code for one in read.products if here.get(one.code) == one],
        refused=read.refused[:MOST_TOLD],
        unknown_columns=read.unknown_columns,
    )


def _checked(rows: list[tuple[int, dict[str, Any]]], unknown: list[str]) -> CatalogueRead:
    products: list[Product] = []
    refused: list[RowRefused] = []
    seen: set[str] = set()
    for number, data in rows:
        code = str(data.get("code") or "")[:40]
        product, reasons = read_product(data)
        if code in seen:
            reasons = [*reasons, say("catalogue-files-checked", code_=code)]
        seen.add(code)
        if product is None or reasons:
            refused.append(RowRefused(row=number, code=code, reasons=reasons))
        else:
            products.append(product)
    return CatalogueRead(products=products, refused=refused, unknown_columns=unknown)


def read_product(data: dict[str, Any]) -> tuple[Product | None, list[str]]:
    """An entry from plain data, with every reason that keeps it out."""
    try:
        product = Product.model_validate(data)
    except QuantityRefused as refusal:
        return None, [refusal.sentence]
    except ValidationError as error:
        return None, [_reason(one) for one in error.errors(include_url=False)[:6]]
    return product, list(refusals(product))


def _reason(error: Any) -> str:
    field = str(error["loc"][0]) if error["loc"] else ""
    title = Product.model_fields[field].title if field in Product.model_fields else field
    return say("catalogue-files-unfit", title=title or say("catalogue-files-entry"), reason=reason_of(error))


def _json_rows(text: str) -> tuple[list[tuple[int, dict[str, Any]]], list[str]]:
    try:
        data = json.loads(text)
    except (ValueError, RecursionError) as error:
        raise CatalogueRefused(say("catalogue-files-json-rows-cannot-read", error=str(error)[:120])) from error
    if (
        not isinstance(data, dict)
        or data.get("format") != CATALOGUE_FORMAT
        or not isinstance(data.get("products"), list)
    ):
        raise CatalogueRefused(say("catalogue-files-json-rows-catalogue-says", catalogue_format=CATALOGUE_FORMAT))
    rows = [(number, one if isinstance(one, dict) else {}) for number, one in enumerate(data["products"], 1)]
    return rows, []


def _csv_rows(text: str) -> tuple[list[tuple[int, dict[str, Any]]], list[str]]:
    mark = max(",;\t", key=text.split("\n", 1)[0].count)
    table = [row for row in rows_of(text, mark, CatalogueRefused, LONGEST_CURVE) if any(row)]
    if not table:
        raise CatalogueRefused(say("catalogue-files-csv-rows-catalogue-nothing"))
    head = [cell.strip().lower().replace(" ", "_") for cell in table[0]]
    if "code" not in head or "type" not in head:
        raise CatalogueRefused(say("catalogue-files-csv-rows-head-catalogue", columns=", ".join(COLUMNS[2:])))
    rows = []
    for number, row in enumerate(table[1:], 2):
        cells = {name: plain_text(cell) for name, cell in zip(head, row, strict=False) if name in COLUMNS}
        rows.append((number, {name: _read_cell(name, cell, cells) for name, cell in cells.items() if cell}))
    return rows, [name for name in head if name not in COLUMNS]


def _read_cell(name: str, cell: str, cells: dict[str, str]) -> Any:
    if name == "curve":
        pump = cells.get("type") == ProductType.PUMP
        names = ("water_flow", "head", "shaft_power") if pump else ("airflow", "pressure", "shaft_power")
        return [
            dict(zip(names, (part.strip() for part in row.split(BETWEEN)), strict=False))
            for row in cell.split(ROWS) if row.strip()
        ]  # fmt: skip
    if name in ("phases", "torque_taps") and cell.isdigit():
        return int(cell)
    return cell


def _cell(name: str, value: Any) -> str:
    if name == "curve":
        return f" {ROWS} ".join(_curve_row(point) for point in value)
    if isinstance(value, Entry):
        return typed(name, value)
    return "" if value is None else safe_text(str(value))


def _curve_row(point: CurvePoint) -> str:
    entries = (point.airflow or point.water_flow, point.pressure or point.head, point.shaft_power)
    return f" {BETWEEN} ".join(entry.with_unit if entry else "" for entry in entries)


def typed(name: str, entry: Entry) -> str:
    """A value as typed, with its unit where none was typed."""
    return entry.with_unit
