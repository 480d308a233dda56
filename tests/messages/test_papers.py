"""What is printed or saved to be read elsewhere, in the language of tests: what is in no catalogue stands out, single words too."""

from __future__ import annotations

import io
import re
from collections.abc import Iterator
from datetime import date
from functools import cache

import openpyxl
import pytest
from pypdf import PdfReader

from modest_rotor.core.assess import assess
from modest_rotor.core.job import Job
from modest_rotor.core.quantities import UnitSystem
from modest_rotor.core.report import build_report
from modest_rotor.core.say import PSEUDO, languages, reader_of, reading
from modest_rotor.demo.load import DEMO_JOBS, FINISHED, _job
from modest_rotor.formats.readings_csv import propose, write_sets
from modest_rotor.formats.report_pdf import write_pdf
from modest_rotor.formats.report_sheet import write_xlsx
from tests.messages.test_pseudo import MARKED, SYMBOLS, typed_in

WORD = re.compile(r"(?<![\w./-])[A-Za-zàéîöûÀÉÎÖÛ’']{3,}(?![\w/])")
OWN = frozenset(["Modest", "Rotor", "AMCA", "IEC", "NEMA", "USD", "EUR"])


@cache
def _papers(name: str, units: UnitSystem) -> tuple[Job, str, list[str]]:
    """A demo job, the text of its report on paper, and the cells of its spreadsheet."""
    job = _job(name)
    job = job.model_copy(update={"site": job.site.model_copy(update={"units": units})})
    with reading(reader_of(PSEUDO)):
        answer = assess(job)
        report = build_report(job, answer, str(date(2026, 3, 1)), "3.1", signed="·")
        paper = PdfReader(io.BytesIO(write_pdf(report, units)))
        book = openpyxl.load_workbook(io.BytesIO(write_xlsx(report, answer.options.options, units)))
    cells = [sheet.title for sheet in book] + [
        cell for sheet in book for row in sheet.iter_rows(values_only=True) for cell in row if isinstance(cell, str)
    ]
    return job, "\n".join(page.extract_text() for page in paper.pages), cells


def _raw(text: str, typed: frozenset[str]) -> Iterator[str]:
    for word in WORD.findall(text):
        own = word.lower() in typed or word in OWN | SYMBOLS
        if re.search("[aeiou]", word) and not MARKED.search(word) and not own:
            yield word


@pytest.mark.parametrize("units", ["ip", "si"])
@pytest.mark.parametrize("name", (*DEMO_JOBS, FINISHED))
def test_no_paper_and_no_spreadsheet_holds_english_that_is_in_no_catalogue(name: str, units: UnitSystem) -> None:
    job, paper, cells = _papers(name, units)
    words = (re.findall(r"[\w’']+", text.lower()) for text in typed_in(job.model_dump(mode="json")))
    typed = frozenset(word for text in words for word in text)
    assert sorted(set(_raw(paper, typed))) == []
    assert sorted({word for cell in cells for word in _raw(cell, typed)}) == []


@pytest.mark.parametrize("units", ["ip", "si"])
@pytest.mark.parametrize("language", [*languages(), "es-ES", PSEUDO])
@pytest.mark.parametrize("name", (*DEMO_JOBS, FINISHED))
def test_readings_saved_in_one_language_are_taken_in_again_by_readers_of_another(
    name: str, language: str, units: UnitSystem
) -> None:
    sets = _job(name).document.readings
    if not sets:
        return
    with reading(reader_of(language)):
        saved = write_sets(sets)
    if language == PSEUDO:
        assert "⟦" in saved.splitlines()[0]
        return
    found = propose(saved, {}, {}, units, 40, "2100-01-01 00:00")
    assert (found.unknown, found.bad, found.good) == ([], [], len(sets))
    for before, after in zip(sets, found.sets, strict=True):
        kept = {name: one for name, one in before.model_dump(mode="json").items() if name in after}
        for field, value in after.items():
            if isinstance(value, dict):
                assert value["si"] == pytest.approx(kept[field]["si"], rel=1e-9)
            elif field not in ("unread",):
                assert value == kept[field]
