"""The report's spreadsheet, read back by openpyxl: every number is the assessment's in the reader's units, with its uncertainty beside it."""

from __future__ import annotations

import io
from functools import cache
from typing import Any

import pytest
from openpyxl import load_workbook

from modest_rotor.core.assessment import Assessment
from modest_rotor.core.job import Job
from modest_rotor.core.quantities import UnitSystem
from modest_rotor.core.report import Report, build_report
from modest_rotor.formats.report_sheet import write_xlsx
from tests.core.setup.test_setup_answer import BAGGAGE
from tests.jobs import assessed

LS_PER_CFM = 0.47194745


@cache
def told() -> tuple[Report, Assessment]:
    answer = assessed(BAGGAGE)
    return build_report(Job.model_validate(BAGGAGE), answer, "2026-11-30", "r1", None), answer


@cache
def rows(units: UnitSystem, name: str) -> list[dict[str, Any]]:
    report, answer = told()
    book = load_workbook(io.BytesIO(write_xlsx(report, answer.options.options, units)))
    head, *body = book[name].iter_rows(values_only=True)
    return [dict(zip([str(cell) for cell in head], row, strict=True)) for row in body]


def test_the_first_sheet_names_machine_day_and_revision() -> None:
    said = {row["what"]: row["value"] for row in rows("si", "Machine")}
    assert (said["date"], said["job revision"]) == ("2026-11-30", "r1")
    assert said["program"] and "95" in str(said["uncertainties"])
    assert {row["stands on"] for row in rows("si", "Machine")} >= {"plate", "measured"}


def test_every_step_of_every_option_stands_with_its_hours_value_uncertainty_and_unit() -> None:
    _, answer = told()
    table = {(row["option"], row["step"], row["quantity"]): row for row in rows("si", "Duty steps")}
    checked = 0
    for option in answer.options.options:
        for step in option.steps:
            row = table.get((option.letter, step.name, "input power"))
            if step.input_power is None:
                assert row is None
                continue
            assert row is not None and row["unit"] == "W"
            assert row["value"] == pytest.approx(step.input_power.value) and row["± (95 %)"] == pytest.approx(
                step.input_power.uncertainty
            )
            assert row["hours"] == pytest.approx(step.hours.value) if step.hours else row["hours"] is None
            checked += 1
    assert checked >= 6


def test_results_come_with_their_range_or_with_what_they_wait_for() -> None:
    _, answer = told()
    table = {(row["option"], row["result"]): row for row in rows("si", "Options")}
    met = set()
    for option in answer.options.options:
        for result in (option.energy, option.saved_energy, option.payback, option.money):
            row = table[option.letter, result.label]
            met.add(result.figure is None)
            if result.figure is None:
                assert row["value"] is None and row["waits for"]
            else:
                assert row["value"] == pytest.approx(result.figure.value) and not row["waits for"]
                assert row["low"] == (pytest.approx(result.figure.low) if result.figure.low is not None else None)
    assert met == {True, False}


def test_another_reader_s_units_are_the_same_numbers() -> None:
    """1 cfm is 0.47194745 L/s, by definition of foot and minute."""
    here, there = (
        {(row["option"], row["step"]): row for row in rows(units, "Duty steps") if row["quantity"] == "flow"}
        for units in ("si", "ip")
    )
    assert here and here.keys() == there.keys()
    for key, row in here.items():
        if row["unit"] == "L/s":
            assert there[key]["unit"] == "cfm" and there[key]["value"] * LS_PER_CFM == pytest.approx(
                row["value"], rel=1e-6
            )
            assert there[key]["± (95 %)"] * LS_PER_CFM == pytest.approx(row["± (95 %)"], rel=1e-6)


def test_the_proof_has_a_sheet_of_its_own_where_there_is_one() -> None:
    said = {str(row["step"]): row for row in rows("si", "Proof")}
    report, _ = told()
    assert report.proof and {line.name for line in report.proof.lines} <= set(said) and "verdict" in said
