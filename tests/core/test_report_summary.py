"""Page one of the report: a customer's five questions, true in every state, on one sheet of paper."""

from __future__ import annotations

import io
from typing import Any

import pytest
from pypdf import PdfReader

from modest_rotor.core.assess import assess
from modest_rotor.core.job import Job
from modest_rotor.core.phrase import Figure, plain
from modest_rotor.core.report import build_report
from modest_rotor.core.report_summary import HEAT, NOTHING_FOUND, PROTECTED, ReportSummary
from modest_rotor.formats.photo import clean_photo
from modest_rotor.formats.report_page_one import Dressing
from modest_rotor.formats.report_pdf import write_pdf
from tests.core.setup.test_setup_answer import BAGGAGE, HALL, WAITING, demo
from tests.formats.test_photo import picture
from tests.jobs import KRAUSE, changed
from tests.said import codes_of, says

pytestmark = pytest.mark.slow

CHOSEN = {"decision": {"chosen": "electronic", "why": "It halves the watts."}}
PHOTO = clean_photo(picture(size=(800, 600))).jpeg
FIRM = Dressing("Wharfside Motors", "3 Slip Lane\nQuillhaven\n0100 200 300", PHOTO, (PHOTO,) * 5)


def told(data: dict[str, Any], signed: str | None = None) -> tuple[ReportSummary, Any, Any]:
    job = Job.model_validate(data)
    answer = assess(job)
    report = build_report(job, answer, "25 November 2026", "7.1", signed)
    assert report.summary is not None
    return report.summary, answer, report


def figures(summary: ReportSummary) -> dict[str, Figure]:
    return {one.label: next(piece for piece in one.value if isinstance(piece, Figure)) for one in summary.figures}


def test_what_it_costs_and_saves_are_the_figures_of_options_each_with_its_range() -> None:
    summary, answer, _ = told(changed(KRAUSE, **CHOSEN))
    kept, chosen = answer.options.options[0], next(one for one in answer.options.options if one.id == "electronic")
    shown = figures(summary)
    assert (
        shown["energy per year, before"] == kept.energy.figure
        and shown["energy per year, after"] == chosen.energy.figure
    )
    assert shown["saves a year"] == chosen.saved_energy.figure and shown["costs, fitted"] == chosen.cost
    assert all(one.uncertainty or one.low is not None for one in shown.values())
    assert summary.before == kept.energy.figure and summary.after == chosen.energy.figure
    assert HEAT in [plain(line) for line in summary.not_promised]  # nobody said whether the heat was wanted


def test_nothing_is_promised_without_a_choice_of_a_stopped_one_or_of_keeping_it() -> None:
    stopped = {"candidates": [{"id": "electronic", "kind": "electronic"}], "fitting": {"listing_allows": "no"}}
    for changes in ({}, {**CHOSEN, "options": stopped}, {"decision": {"chosen": "keep", "why": "It does."}}):
        summary, _, _ = told(changed(KRAUSE, **changes))
        assert summary.figures == () and summary.before is None and summary.after is None and summary.proposed


def test_a_proved_saving_stands_in_place_of_all_that_was_promised() -> None:
    summary, answer, _ = told(BAGGAGE)
    assert answer.proof.verdict == "inside"
    shown = figures(summary)
    assert shown["saved a year, proved"] == answer.proof.saved.figure
    assert not [label for label in shown if "saves" in label or "would" in label or "pays" in label]
    assert summary.before is None and summary.after is None  # the picture is of a promise


def test_what_was_found_is_told_three_at_most_and_the_rest_is_counted() -> None:
    fine, _, _ = told(BAGGAGE)
    assert [plain(line) for line in fine.found] == [NOTHING_FOUND]
    many, answer, _ = told(demo("kitchen_extract_fan"))
    own = [one for one in answer.findings if not one.standing and one.is_open and one.severity != "note"]
    assert [plain(line) for line in many.found[:3]] == [plain(one.sentence) for one in own[:3]]
    assert len(own) <= 3 or f"{len(own) - 3} more" in plain(many.found[3])


def test_of_a_dead_motor_it_says_what_it_is_held_against_and_counts_what_is_more() -> None:
    dead = changed(WAITING, call__reason="dead")
    dead["document"]["decision"] = {"chosen": "ec", "why": "it takes less"}
    dead["document"]["options"] = {
        "candidates": [
            {"id": "same", "kind": "same kind", "price": "300", "labour": "100"},
            {"id": "ec", "kind": "electronic", "price": "600", "labour": "150"},
        ]
    }  # fmt: skip
    summary, answer, _ = told(dead)
    same = next(one for one in answer.options.options if one.id == "same")
    assert summary.against.code == "option-answer-new-same-kind" and summary.before == same.energy.figure
    assert any(label.endswith("more than that") for label in figures(summary))


def test_a_protected_duty_says_that_its_flow_is_not_ours_to_change_and_never_that_it_is_not_kept() -> None:
    chosen = {"chosen": "drive", "why": "It keeps the flow."}
    protected = changed(KRAUSE, call__protected="smoke control", call__minimum_airflow="50 L/s", decision=chosen)
    summary, answer, _ = told(protected)
    option = next(one for one in answer.options.options if one.id == "drive")
    said = [plain(line) for line in summary.not_promised]
    assert PROTECTED in said and option.upheld == ("Keeps the protected flow.",)
    assert not [line for line in said if line in option.upheld]


def test_it_says_what_was_measured_and_what_was_taken_as_usual() -> None:
    summary, _, report = told(WAITING)
    words = " ".join(plain(line) for line in summary.rests_on)
    assert "2 sets of readings" in words and report.assumed[0] in words
    bare, _, _ = told(changed(KRAUSE, readings=[]))
    assert "report-summary-rests-on-nothing-measured" in codes_of(bare.rests_on[0])


@pytest.mark.parametrize("units", ["si", "ip"])
@pytest.mark.parametrize("data", [WAITING, HALL, changed(KRAUSE, **CHOSEN), demo("kitchen_extract_fan")])
def test_page_one_is_one_page_with_its_firm_its_photographs_and_its_signatures(data: Any, units: Any) -> None:
    whose = {"customer": "Harbour Board", "contact": "D. Mole, 0100", "address": "1 Quay Road"}
    _, _, report = told({**data, "site": {**data["site"], **whose}}, signed="Ines, engineer, 2026-03-02")
    pages = [one.extract_text() for one in PdfReader(io.BytesIO(write_pdf(report, units, FIRM))).pages]
    assert pages[1].split("For the engineer")[0].count("\n") <= 4  # page two begins with the engineer's
    for words in ("Wharfside Motors", "3 Slip Lane", "Harbour Board", "What was found", "What is proposed"):
        assert words in pages[0]
    for words in ("What that rests on", "What is not promised", "Signed off by Ines", "for the customer: name, day"):
        assert words in pages[0]


def test_what_is_not_signed_says_so() -> None:
    _, _, report = told(WAITING)
    (first, *_) = [one.extract_text() for one in PdfReader(io.BytesIO(write_pdf(report, "ip"))).pages]
    assert says("report-page-one-signatures-signed-off-2", first) and not says(
        "report-page-one-signatures-signed-off", first
    )
