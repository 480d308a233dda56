"""The report's numbers as a spreadsheet: one table to a sheet, every value with its uncertainty and unit in columns of their own."""

from __future__ import annotations

import io
from typing import Any

from openpyxl import Workbook
from openpyxl.styles import Font
from openpyxl.utils import get_column_letter
from openpyxl.worksheet.worksheet import Worksheet

from modest_rotor.core.options.answers import OptionAnswer
from modest_rotor.core.phrase import BASIS_WORDS, Figure
from modest_rotor.core.quantities import UnitSystem, quantity
from modest_rotor.core.report import Report
from modest_rotor.core.report_proof import ReportProof
from modest_rotor.core.say import say, words_for
from modest_rotor.core.working import Result
from modest_rotor.formats.cells import safe_text
from modest_rotor.formats.text import in_words, sentence

WIDTH = 22
RESULTS = (
    "energy", "money", "saved_energy", "saved_money", "payback", "break_even", "worth", "cube_promise", "always_on",
    "made_up_heat", "saved_cooling", "net_money", "saved_emissions",
)  # fmt: skip
STEP_PARTS = {
    "flow": say("term-flow"),
    "pressure": say("term-pressure"),
    "speed": say("term-speed"),
    "shaft_power": say("term-shaft-power"),
    "input_power": say("term-input-power"),
    "current": say("sheet-current"),
    "power_factor": say("sheet-power-factor"),
    "motor_efficiency": say("sheet-motor-efficiency"),
    "whole_efficiency": say("sheet-whole-efficiency"),
}


def write_xlsx(report: Report, options: tuple[OptionAnswer, ...], units: UnitSystem) -> bytes:
    """The numbers of a report as XLSX."""
    book = Workbook()
    first = book.active
    assert isinstance(first, Worksheet)
    _about(first, report, units)
    _results(book.create_sheet(words_for(say("sheet-options"))), options, units, report.currency)
    _steps(book.create_sheet(words_for(say("report-sheet-write-xlsx"))), options, units)
    if report.proof:
        _proof(book.create_sheet(words_for(say("sheet-proof"))), report.proof, units, report.currency)
    out = io.BytesIO()
    book.save(out)
    return out.getvalue()


def _about(sheet: Worksheet, report: Report, units: UnitSystem) -> None:
    sheet.title = words_for(say("label-machine"))
    _head(sheet, say("sheet-what"), say("sheet-value"), words_for(say("report-sheet-about-stands")))
    for fact in (*report.machine, *report.measured):
        _add(sheet, [fact.label, sentence(fact.value, units, report.currency), BASIS_WORDS[fact.basis]])
    for label, value in (
        (say("sheet-date"), report.date),
        (words_for(say("report-sheet-about-job-revision")), report.revision),
        (say("sheet-program"), report.program_version),
        (say("sheet-bands"), report.uncertainties),
    ):
        _add(sheet, [label, value, ""])


def _results(sheet: Worksheet, options: tuple[OptionAnswer, ...], units: UnitSystem, currency: str | None) -> None:
    _head(
        sheet,
        say("sheet-option"),
        say("sheet-title"),
        say("sheet-result"),
        say("sheet-value"),
        "± (95 %)",
        say("sheet-low"),
        say("sheet-high"),
        say("sheet-unit"),
        words_for(say("report-sheet-results-waits")),
    )
    for option in options:
        for name in RESULTS:
            result: Result = getattr(option, name)
            waits = (
                ""
                if result.figure
                else sentence(result.waits or (words_for(say("report-sheet-results-known")),), units, currency)
            )
            _add(sheet, [option.letter, option.title, result.label, *_numbers(result.figure, units, currency), waits])


def _steps(sheet: Worksheet, options: tuple[OptionAnswer, ...], units: UnitSystem) -> None:
    _head(
        sheet,
        say("sheet-option"),
        say("sheet-step"),
        say("sheet-hours"),
        say("sheet-quantity"),
        say("sheet-value"),
        "± (95 %)",
        say("sheet-low"),
        say("sheet-high"),
        say("sheet-unit"),
        say("sheet-note"),
    )
    for option in options:
        for step in option.steps:
            hours = step.hours.value if step.hours else None
            for part, name in STEP_PARTS.items():
                figure: Figure | None = getattr(step, part)
                if figure is not None:
                    _add(
                        sheet,
                        [
                            option.letter,
                            step.name,
                            hours,
                            name,
                            *_numbers(figure, units, None),
                            step.note,
                        ],
                    )


PROOF_HEADS = (
    say("sheet-step"),
    say("sheet-hours"),
    say("sheet-before"),
    say("report-sheet-proof-heads-put-right"),
    say("sheet-after"),
    say("sheet-promised"),
    say("sheet-saved"),
    say("report-sheet-proof-heads-flow-after"),
)


def _proof(sheet: Worksheet, proof: ReportProof, units: UnitSystem, currency: str | None) -> None:
    _head(sheet, *PROOF_HEADS)
    for line in proof.lines:
        told = (line.hours, line.before, line.same_flow, line.after, line.promised, line.saved, line.flow)
        _add(sheet, [line.name, *(sentence(one, units, currency) for one in told)])
    for label, said in (
        (say("sheet-verdict"), (proof.verdict,)),
        (words_for(say("report-sheet-proof")), proof.sentence),
        *((say("sheet-besides"), one) for one in proof.besides),
    ):
        _add(sheet, [label, sentence(said, units, currency)])


def _numbers(figure: Figure | None, units: UnitSystem, currency: str | None) -> list[Any]:
    """Value, uncertainty, low, high and unit in a reader's units."""
    if figure is None:
        return [None, None, None, None, ""]
    unit = quantity(figure.quantity).reader_unit(units)
    low, high = (None if end is None else unit.from_si(end) for end in (figure.low, figure.high))
    uncertainty = None if figure.uncertainty is None else figure.uncertainty / unit.factor
    return [unit.from_si(figure.value), uncertainty, low, high, in_words(unit, currency)]


def _head(sheet: Worksheet, *names: str) -> None:
    _add(sheet, list(names))
    for place, cell in enumerate(sheet[1], 1):
        cell.font = Font(bold=True)
        sheet.column_dimensions[get_column_letter(place)].width = WIDTH
    sheet.freeze_panes = "A2"


def _add(sheet: Worksheet, cells: list[Any]) -> None:
    """A row, whose words are words: none is taken for a formula, whatever somebody typed as a name."""
    sheet.append([safe_text(words_for(cell)) if isinstance(cell, str) else cell for cell in cells])
    for cell in sheet[sheet.max_row]:
        if isinstance(cell.value, str):
            cell.data_type = "s"
