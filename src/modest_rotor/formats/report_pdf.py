"""The report as PDF: page one for the customer, then pages for the engineer, and the workings behind them."""

from __future__ import annotations

import io
import re
from functools import cache
from importlib.resources import files
from typing import Any

from reportlab.lib.colors import HexColor
from reportlab.lib.pagesizes import A4, LETTER
from reportlab.lib.styles import ParagraphStyle
from reportlab.lib.units import mm
from reportlab.pdfbase import pdfmetrics
from reportlab.pdfbase.ttfonts import TTFont
from reportlab.pdfgen.canvas import Canvas
from reportlab.platypus import Flowable, KeepTogether, PageBreak, Paragraph, SimpleDocTemplate, Spacer, Table

from modest_rotor.core.phrase import BASIS_WORDS, Phrase
from modest_rotor.core.quantities import UnitSystem
from modest_rotor.core.report import Fact, Report
from modest_rotor.core.report_proof import ReportProof
from modest_rotor.core.say import capital, say, tell, words_for
from modest_rotor.formats.report_page_one import Dressing, Pen, letterhead, page_one
from modest_rotor.formats.report_pictures import HAIR, INK2, balance_picture, year_picture
from modest_rotor.formats.text import origin_of, sentence, written

INK, BRICK = HexColor("#1D1A15"), HexColor("#7E1A16")
MARGIN = 16 * mm
SIGNS = "µηπΣΔΩωφψθ−"
WITHOUT_GLYPH = {
    "√": "sqrt ",
    "≤": say("report-pdf-without-glyph-most"),
    "≥": say("report-pdf-without-glyph-least"),
    "→": say("report-pdf-without-glyph-to"),
    "∑": "Σ",
    "₀": "0",
    "₁": "1",
    "∞": say("report-pdf-without-glyph-without-end"),
    "₂": "2",
    "∝": say("report-pdf-without-glyph-goes"),
}
ROWS = (
    (say("report-pdf-rows-may-fitted"), "fits"),
    (say("report-pdf-rows-what-does"), "flow"),
    (say("report-pdf-rows-what-does-draw"), "watts"),
    (say("report-pdf-rows-energy-year"), "energy"),
    (say("report-pdf-rows-saved-year"), "saved"),
    (say("report-pdf-rows-saved-year-money"), "money"),
    (say("report-pdf-rows-cost-fitted"), "cost"),
    (say("report-pdf-rows-simple-payback"), "payback"),
    (say("report-pdf-rows-present-value"), "worth"),
    (say("report-pdf-rows-what-can"), "wrong"),
    (say("report-pdf-rows-how-soon"), "soon"),
)
NO_DRESSING = Dressing()
FRAME_PADDING = 6
MOST_ACROSS = 5
"""Options beside each other on paper; more go into a second table."""


class _Writer:
    """Text of a report in one reader's units, with signs that the text face lacks set in another."""

    def __init__(self, units: UnitSystem, currency: str | None) -> None:
        self.units, self.currency = units, currency

    def phrase(self, phrase: Phrase) -> str:
        """A phrase, marked up."""
        return self.text(sentence(phrase, self.units, self.currency))

    def text(self, text: str) -> str:
        """Plain words, marked up."""
        text = words_for(text)
        for sign, said in WITHOUT_GLYPH.items():
            text = text.replace(sign, words_for(said))
        text = text.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;")
        return re.sub(f"[{SIGNS}]+", lambda match: f'<font name="Signs">{match[0]}</font>', text)


def write_pdf(report: Report, units: UnitSystem, dressing: Dressing = NO_DRESSING) -> bytes:
    """The report as PDF; on letter paper for inch-pound readers. ``dressing`` is the firm, its mark, and photographs."""
    _fonts()
    out = io.BytesIO()
    size = LETTER if units == "ip" else A4
    title = f"{report.title}, {report.site}"
    document = SimpleDocTemplate(
        out, pagesize=size, leftMargin=MARGIN, rightMargin=MARGIN, topMargin=22 * mm, bottomMargin=18 * mm, title=title,
        author=report.made_by or "", subject=words_for(say("report-pdf-write-pdf-motor-replacement")), creator=words_for(say("report-pdf-write-pdf-modest-rotor", program_version=report.program_version)),
    )  # fmt: skip
    width = size[0] - 2 * MARGIN
    writer = _Writer(units, report.currency)

    def furniture(canvas: Canvas, _: Any) -> None:
        _running_lines(canvas, report, size, title)

    document.build(_story(report, writer, width, dressing), onFirstPage=furniture, onLaterPages=furniture)
    return out.getvalue()


@cache
def _fonts() -> None:
    folder = files(__package__).joinpath("fonts")
    for name, file in (("Text", "text-regular"), ("Bold", "text-bold"), ("Signs", "signs")):
        pdfmetrics.registerFont(TTFont(name, io.BytesIO(folder.joinpath(f"{file}.ttf").read_bytes())))


def _style(size: float = 9, bold: bool = False, before: float = 0.0, colour: Any = INK) -> ParagraphStyle:
    return ParagraphStyle(
        "s",
        fontName="Bold" if bold else "Text",
        fontSize=size,
        leading=1.25 * size,
        spaceBefore=before,
        spaceAfter=2,
        textColor=colour,
    )


def _running_lines(canvas: Canvas, report: Report, size: tuple[float, float], title: str) -> None:
    canvas.saveState()
    canvas.setFont("Text", 8)
    canvas.setFillColor(INK2)
    canvas.drawString(MARGIN, size[1] - 13 * mm, title[:90])
    canvas.drawRightString(size[0] - MARGIN, size[1] - 13 * mm, words_for(report.date))
    canvas.setStrokeColor(HAIR)
    canvas.line(MARGIN, size[1] - 15 * mm, size[0] - MARGIN, size[1] - 15 * mm)
    foot = words_for(
        say(
            "report-pdf-running-lines-modest-rotor",
            program_version=report.program_version,
            revision=report.revision,
            date=report.date,
        )
    )
    canvas.drawString(MARGIN, 10 * mm, foot)
    canvas.drawRightString(
        size[0] - MARGIN, 10 * mm, words_for(say("report-pdf-running-lines-page", getpagenumber=canvas.getPageNumber()))
    )
    canvas.restoreState()


def _story(report: Report, writer: _Writer, width: float, dressing: Dressing) -> list[Flowable]:
    inside = width - 2 * FRAME_PADDING
    pen = Pen(writer.phrase, writer.text, _style, writer.units, writer.currency)
    story: list[Flowable] = letterhead(dressing, report.date, report.revision, pen, inside)
    story.append(
        Paragraph(
            writer.text(words_for(say("report-pdf-story-motor-what", report=report.title))), _style(15, bold=True)
        )
    )
    people = " · ".join(filter(None, (report.site, words_for(say("report-pdf-story-for", made_for=report.made_for)) if report.made_for else "", words_for(say("report-pdf-story-by", made_by=report.made_by)) if report.made_by else "")))  # fmt: skip
    story.append(Paragraph(writer.text(people), _style(9, colour=INK2)))
    if report.stops:
        stops = [writer.phrase(tell("report-pdf-story-stop-cleared", one=one)) for one in report.stops]
        story += [Paragraph(one, _style(9.5, bold=True, colour=BRICK)) for one in stops]
    if report.summary is not None:
        story += [*page_one(report.summary, dressing, pen, inside), PageBreak()]
        story.append(Paragraph(words_for(say("report-pdf-story-engineer")), _style(13, bold=True)))
    story += _part(say("word-recommendation"), [writer.phrase(one) for one in report.recommendation], first_bold=True)
    story += _facts(words_for(say("report-pdf-story-machine")), report.machine, writer, width)
    story += _facts(words_for(say("report-pdf-story-what-measured")), report.measured, writer, width)
    if report.found:
        story += _part(words_for(say("report-pdf-story-what-found")), [writer.phrase(one) for one in report.found])
    story += _options(report, writer, width)
    story += _pictures(report, writer, width)
    story += _part(say("word-cautions"), [writer.phrase(one) for one in report.cautions])
    if report.approvals:
        story += _part(
            words_for(say("report-pdf-story-approvals-record")), [writer.text(one) for one in report.approvals]
        )
    assumed = ", ".join(map(words_for, report.assumed)) or words_for(say("report-pdf-story-nothing-moves"))
    story += _part(
        words_for(say("report-pdf-story-assumed-measured")),
        [writer.text(f"{assumed}."), writer.text(report.uncertainties)],
    )
    if report.proof:
        story += [Spacer(1, 10), *_proof(report.proof, writer, width)]
    if report.workings:
        story += [PageBreak(), Paragraph(words_for(say("report-pdf-story-appendix-workings")), _style(13, bold=True))]
        for worked in report.workings:
            story += _working(worked.title, worked.result, writer)
    return story


def _part(title: str, lines: list[str], first_bold: bool = False) -> list[Flowable]:
    head = Paragraph(words_for(title), _style(11, bold=True, before=7))
    rest: list[Flowable] = [Paragraph(line, _style(9.5 if first_bold and n == 0 else 9, bold=first_bold and n == 0)) for n, line in enumerate(lines)]  # fmt: skip
    return [KeepTogether([head, *rest[:1]]), *rest[1:]]


def _facts(title: str, facts: tuple[Fact, ...], writer: _Writer, width: float) -> list[Flowable]:
    if not facts:
        return []
    cells = [
        [
            Paragraph(writer.text(fact.label), _style(8.5, colour=INK2)),
            Paragraph(writer.phrase(fact.value), _style(8.5)),
            Paragraph(words_for(BASIS_WORDS[fact.basis]), _style(7.5, colour=INK2)),
        ]
        for fact in facts
    ]
    half = (len(cells) + 1) // 2
    blank = ["", "", ""]
    rows = [[*cells[i], "", *(cells[i + half] if i + half < len(cells) else blank)] for i in range(half)]
    widths = [0.17 * width, 0.21 * width, 0.10 * width, 0.04 * width, 0.17 * width, 0.21 * width, 0.10 * width]
    return [Paragraph(title, _style(11, bold=True, before=7)), Table(rows, colWidths=widths, style=_rules(0))]


def _rules(head: int) -> list[tuple[Any, ...]]:
    return [
        ("VALIGN", (0, 0), (-1, -1), "TOP"),
        ("LINEBELOW", (0, head), (-1, -1), 0.4, HAIR),
        ("LEFTPADDING", (0, 0), (-1, -1), 2),
        ("RIGHTPADDING", (0, 0), (-1, -1), 4),
        ("TOPPADDING", (0, 0), (-1, -1), 1.5),
        ("BOTTOMPADDING", (0, 0), (-1, -1), 1.5),
    ]


def _options(report: Report, writer: _Writer, width: float) -> list[Flowable]:
    story: list[Flowable] = []
    for start in range(0, len(report.options), MOST_ACROSS):
        shown = report.options[start : start + MOST_ACROSS]
        head = [""] + [
            Paragraph(
                writer.text(say("report-pdf-option", letter=one.letter, title=one.title, chosen=one.chosen)),
                _style(9, bold=True),
            )
            for one in shown
        ]
        rows: list[list[Any]] = [head]
        for label, field in ROWS:
            cells = [Paragraph(words_for(label), _style(8.5, colour=INK2))]
            for one in shown:
                value = getattr(one, field)
                said = writer.text(value) if isinstance(value, str) else writer.phrase(value)
                if field == "fits" and one.stop:
                    cells.append(
                        Paragraph(
                            words_for(say("report-pdf-options-stop", text=writer.text(one.stop))),
                            _style(8.5, bold=True, colour=BRICK),
                        )
                    )
                else:
                    cells.append(Paragraph(said, _style(8.5)))
            rows.append(cells)
        first = 0.18 * width
        widths = [first] + [(width - first) / len(shown)] * len(shown)
        title = (
            words_for(say("report-pdf-options-options"))
            if start == 0
            else words_for(say("report-pdf-options-options-continued"))
        )
        heading = Paragraph(title, _style(11, bold=True, before=7))
        story.append(KeepTogether([heading, Table(rows, colWidths=widths, style=_rules(0), repeatRows=1)]))
    if story:
        story.append(Paragraph(words_for(say("report-pdf-options-saved-against")), _style(8, colour=INK2)))
    return story


PROOF_HEADS = (
    say("report-pdf-proof-heads-duty-step"),
    say("report-pdf-head-hours"),
    say("report-pdf-head-before"),
    say("report-pdf-proof-heads-put-right"),
    say("report-pdf-head-after"),
    say("report-pdf-head-promised"),
    say("report-pdf-head-saved"),
    say("report-pdf-proof-heads-flow-after"),
)
PROOF_FIELDS = ("hours", "before", "same_flow", "after", "promised", "saved", "flow")


def _proof(proof: ReportProof, writer: _Writer, width: float) -> list[Flowable]:
    """The page of the proof: verdict, steps, what else changed, who signed."""
    story = [
        Paragraph(writer.text(words_for(say("report-pdf-proof-proof", option=proof.option))), _style(13, bold=True))
    ]
    story += _part(capital(proof.verdict), [writer.phrase(proof.sentence)], first_bold=True)
    told = tell("report-pdf-proof-saved-year", saved=proof.saved, promised=proof.promised)
    story += [Paragraph(writer.phrase(told), _style(9))]
    rows: list[list[Any]] = [[Paragraph(words_for(head), _style(8, bold=True)) for head in PROOF_HEADS]]
    for line in proof.lines:
        cells = [Paragraph(writer.phrase(getattr(line, field)), _style(8.5)) for field in PROOF_FIELDS]
        rows.append([Paragraph(writer.text(line.name), _style(8.5)), *cells])
    first = 0.14 * width
    widths = [first] + [(width - first) / len(PROOF_FIELDS)] * len(PROOF_FIELDS)
    story += [Spacer(1, 6), Table(rows, colWidths=widths, style=_rules(0), repeatRows=1)]
    if proof.besides:
        story += _part(say("word-besides"), [writer.phrase(one) for one in proof.besides])
    signed = (
        words_for(say("report-pdf-proof-signed-off", signed=proof.signed))
        if proof.signed
        else words_for(say("report-pdf-proof-signed-off-yet"))
    )
    return [*story, *_part(say("report-pdf-sign-off"), [writer.text(signed)])]


def _pictures(report: Report, writer: _Writer, width: float) -> list[Flowable]:
    half = width / 2 - 4
    balance, year = balance_picture(report, writer.units, half, 150), year_picture(report, half, 150)
    if balance is None and year is None:
        return []
    words = (
        words_for(say("report-pdf-pictures-where-machine")) if balance else "",
        words_for(say("report-pdf-pictures-year-today")) if year else "",
    )
    captions = [Paragraph(one, _style(8, colour=INK2)) for one in words]
    table = Table(
        [[balance or "", year or ""], captions],
        colWidths=[width / 2, width / 2],
        style=[("LEFTPADDING", (0, 0), (-1, -1), 0)],
    )
    return [KeepTogether([Spacer(1, 6), table])]


def _working(title: str, result: Any, writer: _Writer) -> list[Flowable]:
    working = result.working
    lines: list[Flowable] = [Paragraph(writer.text(title), _style(9.5, bold=True, before=6))]
    if result.figure:
        lines.append(
            Paragraph(
                writer.text(f"{written(result.figure, writer.units, writer.currency)} = {words_for(working.formula)}"),
                _style(8.5),
            )
        )
    given = "; ".join(
        f"{one.symbol} {words_for(one.label)} {written(one.figure, writer.units, writer.currency)} ({origin_of(one)})"
        for one in working.ingredients
    )
    lines.append(Paragraph(writer.text(given), _style(8)))
    lines += [Paragraph(writer.text(remark), _style(8)) for remark in working.remarks]
    lines.append(
        Paragraph(writer.text(words_for(say("report-pdf-working", source=working.source))), _style(7.5, colour=INK2))
    )
    return [KeepTogether(lines)]
