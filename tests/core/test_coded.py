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
from modest_rotor.core.changes import value_at
from modest_rotor.core.coded import Coded
from modest_rotor.core.job import Job
from modest_rotor.core.phrase import BASIS_WORDS, Basis, Figure
from modest_rotor.core.stations.duty import PartFlow
from modest_rotor.core.stations.loop import OnFailure
from modest_rotor.core.stations.nameplate import Nameplate
from modest_rotor.core.stations.product import Product
from modest_rotor.core.stations.sheet import words_of
from modest_rotor.core.tables import read_table
from modest_rotor.core.upgrades import (
    NEWEST,
    TERMS_OF_3,
    UPGRADERS,
    path_today,
    standard_terms,
    upgraded,
    value_today,
)
from modest_rotor.formats.job_file import read_job
from modest_rotor.formats.logger_csv import ORDER_WORDS, Order

KEPT = sorted((Path(__file__).parents[1] / "formats" / "kept").glob("job-*.json"))
"""Files of each version as its program shipped them, ``job-version-name``; the same jobs stand in the demo of today."""
CALLED_THEN = {
    "Electronic motor 1 hp, five torque taps": "Constant-torque EC motor 1 hp, five taps",
    "Electronic motor 3/4 hp, airflow held": "Constant-airflow EC motor 3/4 hp",
}
"""Products of the demo by the names that they had, and have: a product's name is its maker's, and no upgrader changes it."""
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
        words_of(Nameplate, "power_is", "line").code == "table-labels-label-nameplate-PowerIs-line"
        and words_of(Nameplate, "frame", "48Y") == "48Y"
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
def test_a_job_file_of_each_version_is_the_job_that_it_was(path: Path) -> None:
    text = path.read_text(encoding="utf-8")
    for then, today in CALLED_THEN.items():
        text = text.replace(then, today)
    _, version, name = path.name.split("-", 2)
    assert json.loads(text)["version"] == int(version) and len(KEPT) == 8
    now = (Path(modest_rotor.__file__).parent / "demo" / name).read_text(encoding="utf-8")
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
    assert upgraded({"version": 99}) == {"version": 99} and upgraded({}) == {"version": NEWEST}
    assert {int(path.name.split("-")[1]) for path in KEPT} == set(UPGRADERS), "each version that shipped has files kept"


OLD = {"machine": {"name": "Fan", "wheel": "axial"}, "document": {
    "plate": {"rated_power": {"typed": "1 hp"}}, "duty": {"held_pressure": "50 Pa", "run_up": "3 s", "starts": "200"},
    "options": {"considered": [{"id": "k1", "kind": "drive"}], "tightness": "120 %"},
    "setup": {"link": "230 V", "signs": [{"id": "s1", "step": "link", "who": "Ann", "at": "2026-01-01 10:00"}]},
}}  # fmt: skip
"""Every name of version 2 that changed."""
TODAY = {"machine": {"name": "Fan", "type": "axial"}, "document": {
    "nameplate": {"rated_power": {"typed": "1 hp"}},
    "duty": {"static_pressure_set_point": "50 Pa", "starting_time": "3 s", "starts": "200"},
    "options": {"candidates": [{"id": "k1", "kind": "drive"}], "resistance_factor": "120 %"},
    "setup": {"voltage_selector": "230 V", "signs": [{"id": "s1", "step": "voltage_selector", "who": "Ann", "at": "2026-01-01 10:00"}]},
}}  # fmt: skip


def test_names_of_version_2_become_the_standard_terms_and_those_of_today_stay() -> None:
    before = json.dumps(OLD)
    assert standard_terms(OLD) == TODAY == standard_terms(TODAY) and json.dumps(OLD) == before
    assert upgraded({"version": NEWEST} | OLD) == {"version": NEWEST} | OLD, (
        "a name that this version never had is refused"
    )
    for place in TERMS_OF_3.values():
        value_at(Job.model_validate({"site": {"name": "x"}, **TODAY}), place)
    for odd in (
        {"document": None},
        {"document": {"setup": 3, "plate": None}},
        {"document": {"setup": {"signs": [7, {"step": []}, {"step": None}]}}},
        {"machine": 3, "document": []},
    ):
        standard_terms(odd)


@pytest.mark.parametrize(
    ("path", "value", "now", "holds"),
    [
        ("plate/rated_power", "x", "nameplate/rated_power", "x"),
        ("plate", {"line": "x"}, "nameplate", {"line": "x"}),
        ("machine/wheel", "axial", "machine/type", "axial"),
        ("options/considered/k1/price", None, "options/candidates/k1/price", None),
        ("options", {"considered": []}, "options", {"candidates": []}),
        ("setup/signs", OLD["document"]["setup"]["signs"], "setup/signs", TODAY["document"]["setup"]["signs"]),
        ("duty/run_up", "3 s", "duty/starting_time", "3 s"),
        ("setup/loop/left", "30 %", "setup/loop/left", "30 %"),
        ("readings/s1/current", "3 A", "readings/s1/current", "3 A"),
    ],
)
def test_an_edit_of_a_history_is_of_the_same_place_today(path: str, value: Any, now: str, holds: Any) -> None:
    assert path_today(path) == now == path_today(now) and value_today(path, value) == holds


def test_a_basis_of_version_1_is_read_and_is_written_as_its_words() -> None:
    """What was signed before holds words with a blank; the code that stands for them is what is kept and compared."""
    assert Figure.model_validate({"quantity": "airflow", "value": 1.0, "basis": "worked out"}).basis == "worked-out"
    assert set(get_args(Basis)) == set(BASIS_WORDS) and all(CODE.fullmatch(one) for one in get_args(Basis))
    assert all(CODE.fullmatch(one) for one in get_args(Order)) and set(get_args(Order)) == set(ORDER_WORDS)
