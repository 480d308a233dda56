"""Answers and kinds are codes: kept, sent and compared by them, read by their labels, and by the words that version 1 held."""

from __future__ import annotations

import importlib
import json
import pkgutil
import re
from enum import StrEnum
from pathlib import Path
from types import UnionType
from typing import Any, Literal, Union, get_args, get_origin

import pytest
from pydantic import BaseModel, TypeAdapter

import modest_rotor
from modest_rotor.core.coded import Coded
from modest_rotor.core.job import Job
from modest_rotor.core.phrase import BASIS_WORDS, Basis, Figure
from modest_rotor.core.stations.duty import PartFlow
from modest_rotor.core.stations.loop import OnFailure
from modest_rotor.core.stations.plate import Plate
from modest_rotor.core.stations.product import Product
from modest_rotor.core.stations.sheet import words_of
from modest_rotor.core.tables import read_table
from modest_rotor.core.upgrades import NEWEST, UPGRADERS, upgraded
from modest_rotor.formats.job_file import read_job
from modest_rotor.formats.logger_csv import ORDER_WORDS, Order

KEPT = sorted((Path(__file__).parents[1] / "formats" / "kept").glob("job-1-*.json"))
CODE = re.compile(r"[a-z0-9]+([-_][a-z0-9]+)*")


def enumerations() -> dict[str, type[StrEnum]]:
    """Every enumeration by the name that the tables use."""
    found: dict[str, type[StrEnum]] = {}
    for module in pkgutil.walk_packages(modest_rotor.__path__, "modest_rotor."):
        if module.name.endswith("__main__"):
            continue
        for name, kind in vars(importlib.import_module(module.name)).items():
            if isinstance(kind, type) and issubclass(kind, StrEnum) and kind.__module__ == module.name:
                found[f"{module.name.rpartition('.')[2]}.{name}"] = kind
    return found


ALL = enumerations()
CODED = {name: kind for name, kind in ALL.items() if issubclass(kind, Coded) and kind is not Coded}


def test_no_value_of_any_enumeration_holds_a_blank_or_a_word_for_the_screen() -> None:
    assert len(ALL) > 70 and len(CODED) > 60
    assert [(name, one.value) for name, kind in ALL.items() for one in kind if not CODE.fullmatch(one.value)] == []


def test_every_code_has_its_label_and_no_label_is_left_over() -> None:
    rows = read_table("labels")
    assert {(row["enumeration"], row["code"]) for row in rows} == {
        (name, one.value) for name, kind in CODED.items() for one in kind
    }
    assert len({(row["enumeration"], row["label"]) for row in rows}) == len(rows), (
        "two answers to one question never read alike"
    )
    assert all(row["label"] == row["label"].strip() != "" for row in rows)
    before = {(row["enumeration"], row["words"]): row["code"] for row in read_table("words_of_1")}
    other = [row for row in rows if before.get((row["enumeration"], row["label"]), row["code"]) != row["code"]]
    assert other == [], "no label says what version 1 said of another answer"


def test_what_version_1_held_is_read_for_good() -> None:
    """Each of its words, by the enumeration itself and through the models."""
    rows = read_table("words_of_1")
    assert len(rows) == 235
    for row in rows:
        kind = CODED[row["enumeration"]]
        assert kind(row["words"]).value == row["code"] == TypeAdapter(kind).validate_python(row["words"]).value
        assert not CODE.fullmatch(row["words"]) or row["words"] != row["code"]
    with pytest.raises(ValueError, match="is not a valid PartFlow"):
        PartFlow("by magic")


def test_a_code_is_kept_and_sent_and_its_label_is_read() -> None:
    adapter = TypeAdapter(PartFlow)
    assert adapter.dump_json(PartFlow.THROTTLE) == b'"throttle"' and json.dumps(PartFlow.THROTTLE) == '"throttle"'
    assert str(PartFlow.THROTTLE) == f"{PartFlow.THROTTLE}" == PartFlow.THROTTLE.label == "by a damper or valve"
    assert PartFlow.THROTTLE == "throttle" and PartFlow("by a damper or valve") is PartFlow.THROTTLE
    assert (
        words_of(Plate, "power_is", "line").code == "table-labels-label-plate-PowerIs-line"
        and words_of(Plate, "frame", "48Y") == "48Y"
    )


def test_what_is_kept_to_be_compared_does_not_change_with_a_label() -> None:
    """What a signature stands on holds the words of version 1, so that signatures of then still stand and no rewording opens a step."""
    assert (PartFlow.THROTTLE.fixed, OnFailure.STAYS.fixed, OnFailure.STOPS.fixed) == (
        "by a damper or valve",
        "stays at its speed",
        "stops",
    )


def answers(model: type[BaseModel], seen: set[type[BaseModel]]) -> list[tuple[str, Any]]:
    """Every literal answer of every field below a model."""
    found: list[tuple[str, Any]] = []
    if model in seen:
        return found
    seen.add(model)
    for name, field in model.model_fields.items():
        parts = [field.annotation]
        while parts:
            part = parts.pop()
            if get_origin(part) is Literal:
                found += [(f"{model.__name__}.{name}", one) for one in get_args(part)]
            elif get_origin(part) in (Union, UnionType, tuple, list, dict):
                parts += get_args(part)
            elif isinstance(part, type) and issubclass(part, BaseModel):
                found += answers(part, seen)
    return found


def test_no_literal_answer_of_a_job_or_product_holds_a_blank() -> None:
    """But for the name of the format itself, and units, which are written as they are."""
    found = [*answers(Job, set()), *answers(Product, set())]
    assert len(found) > 60
    blanks = {(place, one) for place, one in found if isinstance(one, str) and " " in one}
    assert blanks == {("Job.format", "modest-rotor job"), ("Charts.blower_table_static", "in. w.g.")}


@pytest.mark.parametrize("path", KEPT, ids=lambda path: path.stem)
def test_a_job_file_of_version_1_is_the_job_that_it_was(path: Path) -> None:
    """Files as the program of that version shipped them; the same jobs stand in the demo, in codes."""
    text = path.read_text(encoding="utf-8")
    assert json.loads(text)["version"] == 1 and len(KEPT) == 5
    now = (Path(modest_rotor.__file__).parent / "demo" / path.name.removeprefix("job-1-")).read_text(encoding="utf-8")
    whole = {
        key: value
        for key, value in json.loads(now).items()
        if key in ("format", "version", "site", "machine", "document")
    }
    kept = {key: value for key, value in json.loads(text).items() if key in whole}
    assert read_job(json.dumps(kept)) == read_job(json.dumps(whole)) and read_job(json.dumps(kept)).version == NEWEST


def test_upgraders_lead_from_every_version_to_the_newest() -> None:
    assert sorted(UPGRADERS) == list(range(1, NEWEST))
    assert upgraded({"version": 1, "site": {}}) == {"version": NEWEST, "site": {}}
    assert upgraded({"version": 99}) == {"version": 99} and upgraded({}) == {}


def test_a_basis_of_version_1_is_read_and_is_written_as_its_words() -> None:
    """What was signed before holds words with a blank; the code that stands for them is what is kept and compared."""
    assert Figure.model_validate({"quantity": "airflow", "value": 1.0, "basis": "worked out"}).basis == "worked-out"
    assert set(get_args(Basis)) == set(BASIS_WORDS) and all(CODE.fullmatch(one) for one in get_args(Basis))
    assert all(CODE.fullmatch(one) for one in get_args(Order)) and set(get_args(Order)) == set(ORDER_WORDS)
