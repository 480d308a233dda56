"""The report: what it tells, what it never tells without its uncertainty, and that it reads back from its files."""

from __future__ import annotations

import io
import json
from typing import Any

import openpyxl
import pint
import pytest
from pypdf import PdfReader

from modest_rotor.core.assess import assess
from modest_rotor.core.job import Job
from modest_rotor.core.phrase import Figure, plain
from modest_rotor.core.report import NO_CHOICE, SIMULATED, Report, build_report
from modest_rotor.core.report_proof import report_proof
from modest_rotor.formats.report_pdf import write_pdf
from modest_rotor.formats.report_sheet import write_xlsx
from tests.core.setup.test_setup_answer import BAGGAGE, HALL, told
from tests.jobs import KRAUSE, changed
from tests.said import codes_of, says

pytestmark = pytest.mark.slow

CHOSEN: dict[str, Any] = {
    "decision": {
        "chosen": "electronic",
        "why": "It halves the watts.",
        "made_for": "The owner",
        "made_by": "The technician",
    }
}


def report(**changes: Any) -> tuple[Report, Any]:
    job = Job.model_validate(changed(KRAUSE, **{**CHOSEN, **changes}))
    answer = assess(job)
    return build_report(job, answer, "25 November 2026", "7.1"), answer


def pdf_text(told: Report, units: Any = "si") -> list[str]:
    return [page.extract_text() for page in PdfReader(io.BytesIO(write_pdf(told, units))).pages]


def test_the_choice_its_reason_and_its_range_come_first() -> None:
    told, _answer = report()
    first, saving, *_ = (plain(line) for line in told.recommendation)
    assert first == "C, EC motor, speed command. It halves the watts."
    assert says("core-report-recommendation-expected-save", saving)
    figures = [piece for line in told.recommendation for piece in line if isinstance(piece, Figure)]
    assert figures and all(
        figure.uncertainty or figure.low is not None for figure in figures[:3]
    )  # no promise without its uncertainty


def test_without_a_choice_nothing_is_recommended() -> None:
    told, _ = report(decision={})
    assert [plain(line) for line in told.recommendation] == [NO_CHOICE]


def test_a_stopped_choice_promises_nothing() -> None:
    told, _ = report(
        options={"candidates": [{"id": "electronic", "kind": "electronic"}], "fitting": {"listing_allows": "no"}}
    )
    words = " ".join(plain(line) for line in told.recommendation)
    assert says("core-report-recommendation-stopped-nothing", words) and not says(
        "core-report-recommendation-expected-save", words
    )


def test_measured_and_assumed_stand_apart() -> None:
    told, _ = report()
    assert any(fact.basis == "measured" and "core-report-watts" in codes_of(fact.label) for fact in told.measured)
    assert "core-report-years-left" in codes_of(told.assumed)
    assert told.uncertainties == SIMULATED


def test_approvals_and_answered_stops_are_on_record() -> None:
    waiver = {
        "id": "w1",
        "option": "electronic",
        "check": "listing",
        "who": "Site engineer",
        "reason": "no listed appliance",
    }
    told, _ = report(
        options={
            "candidates": [{"id": "electronic", "kind": "electronic"}],
            "fitting": {"listing_allows": "no"},
            "waivers": [waiver],
        },
        decision={
            **CHOSEN["decision"],
            "approvals": [{"id": "a1", "of": "another kind", "who": "Owner", "role": "owner"}],
        },
    )
    assert any("another kind: Owner, owner" in one for one in told.approvals)
    assert any("Site engineer answers for it" in one for one in told.approvals)


@pytest.mark.parametrize("units", ["si", "ip"])
def test_the_pdf_reads_back_page_one_the_engineers_and_the_workings(units: Any) -> None:
    told, _ = report()
    pages = pdf_text(told, units)
    assert len(pages) in (4, 5)
    assert (
        says("report-page-one-page-one-what-proposed", pages[0])
        and "It halves the watts." in pages[0]
        and not says("report-pdf-story-engineer", pages[0])
    )
    assert says("report-pdf-story-engineer", pages[1]) and "Recommendation" in pages[1]
    assert says("report-pdf-story-appendix-workings", "".join(pages[2:]))
    for number, page in enumerate(pages, 1):
        assert (
            f"page {number}" in page
            and "25 November 2026" in page
            and "revision 7.1" in page
            and "Modest Rotor 0." in page
        )
    text = " ".join(pages)
    assert says("core-report-simulated", text)
    assert ("cfm" in text) == (units == "ip")
    assert "±" in pages[0]


def test_the_pdf_of_a_job_of_which_only_the_name_is_known() -> None:
    job = Job.model_validate({"site": {"name": "S"}, "machine": {"name": "Nothing known"}})
    told = build_report(job, assess(job), "today", "1.1")
    assert "Nothing known" in pdf_text(told)[0]


def test_the_sheet_holds_each_value_with_its_uncertainty_and_unit() -> None:
    told, answer = report()
    book = openpyxl.load_workbook(io.BytesIO(write_xlsx(told, answer.options.options, "si")))
    rows = list(book["Options"].iter_rows(values_only=True))
    saved = next(row for row in rows if row[0] == "C" and row[2] == "Energy saved")
    figure = answer.options.options[2].saved_energy.figure
    assert (
        saved[3] == pytest.approx(figure.value) and saved[4] == pytest.approx(figure.uncertainty) and saved[7] == "kWh"
    )
    steps = list(book["Duty steps"].iter_rows(values_only=True))
    assert {row[3] for row in steps[1:]} >= {"flow", "input power", "overall efficiency"}


def test_the_numbers_go_out_as_json() -> None:
    told, _ = report()
    data = json.loads(told.model_dump_json())
    assert data["format"] == "modest-rotor report" and data["options"][2]["chosen"]


def test_words_that_a_spreadsheet_or_a_page_would_run_are_only_words() -> None:
    told, answer = report(decision={**CHOSEN["decision"], "why": "<b>bold</b> & =1+1"})
    assert "<b>bold</b> & =1+1" in pdf_text(told)[0]
    named = [{"id": "electronic", "kind": "electronic", "name": "=HYPERLINK(1)"}]
    told, answer = report(options={"candidates": named})
    book = openpyxl.load_workbook(io.BytesIO(write_xlsx(told, answer.options.options, "si")))
    titles = [row[1] for row in book["Options"].iter_rows(values_only=True)]
    assert "'=HYPERLINK(1)" in titles


def test_keeping_it_costs_the_same_in_the_report_as_on_the_screen() -> None:
    """Nothing now, in words; never "not known", which a price that is lacking is."""
    told, _answer = report()
    lines = {line.letter: plain(line.cost) for line in told.options}
    assert lines["A"] == "nothing now" and "nothing now" not in [
        cost for letter, cost in lines.items() if letter != "A"
    ]


def test_the_sheet_in_either_reader_s_units_is_the_core_s_value_uncertainty_and_ends() -> None:
    """Against pint, whose units follow NIST SP 811: value, ± and ends are converted alike, and none by its reciprocal."""
    told, answer = report()
    pint_of = {"cfm": "foot ** 3 / minute", "L/s": "litre / second", "in. w.g.": "inch_H2O", "Pa": "pascal"}
    registry = pint.UnitRegistry()
    checked = set()
    for units in ("ip", "si"):
        book = openpyxl.load_workbook(io.BytesIO(write_xlsx(told, answer.options.options, units)))
        for row in book["Duty steps"].iter_rows(min_row=2, values_only=True):
            letter, step, _, name, value, uncertainty, _, _, unit, _ = row
            if unit not in pint_of or value is None:
                continue
            one = next(option for option in answer.options.options if option.letter == letter)
            figure = getattr(next(each for each in one.steps if each.name == step), str(name).replace(" ", "_"))
            base = "metre ** 3 / second" if unit in ("cfm", "L/s") else "pascal"
            factor = registry.Quantity(1, base).to(pint_of[str(unit)]).magnitude
            assert value == pytest.approx(figure.value * factor, rel=1e-4), "pint has the inch of water to five figures"
            if figure.uncertainty is not None:
                assert uncertainty == pytest.approx(figure.uncertainty * factor, rel=1e-4)
                checked.add(unit)
    assert checked == set(pint_of), "a flow and a pressure, in both"


def test_the_picture_of_the_year_holds_the_shares_that_were_asked() -> None:
    told, _ = report()
    assert [round(bar.flow_share, 6) for bar in told.year] == [1.0, 0.5], "as typed on Duty"
    assert all(bar.hours > 0 and bar.today_w and bar.then_w and bar.then_w < bar.today_w for bar in told.year)


def test_a_page_of_proof_stands_only_where_something_was_read_after() -> None:
    """Not while the proof waits, and not of a job whose every set was read before."""
    assert report_proof(told(BAGGAGE), None) is not None
    before = [one for one in BAGGAGE["document"]["readings"] if one.get("stage") != "after"]
    assert 0 < len(before) < len(BAGGAGE["document"]["readings"])
    for unread in (told(BAGGAGE, readings=before), told(HALL), told(BAGGAGE, decision__chosen=None)):
        assert report_proof(unread, None) is None


def test_an_option_tells_its_limits_or_else_what_wears() -> None:
    job = Job.model_validate(BAGGAGE)
    answer = told(BAGGAGE)
    limits = {one.letter: (" ".join(one.limits), one.wears) for one in answer.options.options}
    lines = {one.letter: one.wrong for one in build_report(job, answer, "2026-11-29", "1").options}
    assert lines == {letter: limited or wears for letter, (limited, wears) in limits.items() if letter in lines}
    assert (
        lines and any(limited for limited, _ in limits.values()) and any(not limited for limited, _ in limits.values())
    )


def test_the_report_lists_what_is_open_and_no_standing_caution_nor_what_was_settled() -> None:
    weak = {"readings__0__capacitance": "8 µF"}
    told, answer = report(**weak)
    open_ones = [one for one in answer.findings if not one.standing and one.is_open]
    assert any(one.standing for one in answer.findings) and len(told.found) == min(len(open_ones), 8)
    assert any("capacitor-off-label-run-capacitor" in codes_of(line) for line in told.found)
    settled, _ = report(**weak, marks=[{"id": "s1", "finding": "capacitor_off_label/s1", "state": "fixed"}])
    assert len(settled.found) < len(told.found)
