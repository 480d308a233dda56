"""Page one of the report on paper: who makes it, what was found and is proposed, what it saves, what that rests on, and who signs."""

from __future__ import annotations

import io
from collections.abc import Callable
from dataclasses import dataclass
from typing import Any

from reportlab.graphics.shapes import Drawing, Line, Rect, String
from reportlab.lib.colors import Color
from reportlab.lib.units import mm
from reportlab.platypus import Flowable, HRFlowable, Image, Paragraph, Spacer, Table

from modest_rotor.core.phrase import Figure, Phrase
from modest_rotor.core.quantities import UnitSystem
from modest_rotor.core.report_summary import ReportSummary
from modest_rotor.core.say import say, words_for
from modest_rotor.formats.report_pictures import COLOURS, HAIR, INK, INK2
from modest_rotor.formats.text import written

MARK_HEIGHT, MARK_WIDTH = 16 * mm, 48 * mm
PHOTO_HEIGHT = 30 * mm
MOST_PHOTOS = 3
BAR_H = 15
BARE = [
    ("LEFTPADDING", (0, 0), (-1, -1), 0),
    ("RIGHTPADDING", (0, 0), (-1, -1), 6),
    ("VALIGN", (0, 0), (-1, -1), "TOP"),
]
SIGN_HERE = (say("report-page-one-sign-here-customer"), say("report-page-one-sign-here-firm"))


@dataclass(frozen=True)
class Dressing:
    """What page one shows beside the report's own words: the firm, its mark as JPEG, and photographs of the machine."""

    name: str = ""
    address: str = ""
    mark: bytes | None = None
    photos: tuple[bytes, ...] = ()


@dataclass(frozen=True)
class Pen:
    """How words are set: a phrase marked up, plain words marked up, and a style by size, weight and colour."""

    phrase: Callable[[Phrase], str]
    text: Callable[[str], str]
    style: Callable[..., Any]
    units: UnitSystem
    currency: str | None


def letterhead(dressing: Dressing, date: str, revision: str, pen: Pen, width: float) -> list[Flowable]:
    """The firm's mark, name and address, beside the day and the revision."""
    who: list[Flowable] = []
    if dressing.name:
        who.append(Paragraph(pen.text(dressing.name), pen.style(11, bold=True)))
    who += [Paragraph(pen.text(line), pen.style(8.5)) for line in dressing.address.splitlines() if line.strip()]
    when = [
        Paragraph(pen.text(line), pen.style(8.5, colour=INK2))
        for line in (date, words_for(say("report-page-one-letterhead", revision=revision)))
    ]
    mark = _image(dressing.mark, MARK_WIDTH, MARK_HEIGHT) if dressing.mark else None
    left = mark.drawWidth + 10 if mark else 0.0
    row, widths = [who or "", when], [0.76 * width - left, 0.24 * width]
    if mark:
        row, widths = [mark, *row], [left, *widths]
    return [Table([row], colWidths=widths, style=BARE, hAlign="LEFT"), Spacer(1, 4)]


def page_one(summary: ReportSummary, dressing: Dressing, pen: Pen, width: float) -> list[Flowable]:
    """What a customer reads in a minute, under the title."""
    story: list[Flowable] = []
    whose = [line for line in (summary.customer, summary.contact, summary.address) if line]
    story += [Paragraph(pen.text(line), pen.style(9, colour=INK2)) for line in whose]
    story += _answers(words_for(say("report-page-one-page-one-what-found")), summary.found, pen)
    story += _answers(words_for(say("report-page-one-page-one-what-proposed")), summary.proposed, pen, bold=True)
    story += _figures(summary, pen, width)
    if summary.before and summary.after:
        story += [Spacer(1, 4), _bars(summary.before, summary.after, pen, width)]
    story += _answers(words_for(say("report-page-one-page-one-what-rests")), summary.rests_on, pen)
    story += _answers(words_for(say("report-page-one-page-one-what-promised")), summary.not_promised, pen)
    if dressing.photos:
        shown = dressing.photos[:MOST_PHOTOS]
        cell = width / MOST_PHOTOS
        row = [_image(photo, cell - 8, PHOTO_HEIGHT) for photo in shown]
        story += [Spacer(1, 6), Table([row], colWidths=[cell] * len(shown), style=BARE, hAlign="LEFT")]
    return [*story, *_signatures(summary, pen, width)]


def _answers(title: str, lines: tuple[Phrase, ...], pen: Pen, bold: bool = False) -> list[Flowable]:
    if not lines:
        return []
    head = Paragraph(title, pen.style(11, bold=True, before=7))
    first = pen.style(10.5, bold=True) if bold else pen.style(9.5)
    return [
        head,
        *(Paragraph(pen.phrase(line), first if place == 0 else pen.style(9.5)) for place, line in enumerate(lines)),
    ]


def _figures(summary: ReportSummary, pen: Pen, width: float) -> list[Flowable]:
    """The figures that decide, large, three to a line."""
    if not summary.figures:
        return []
    cells = [
        [
            Paragraph(pen.text(one.label), pen.style(8.5, colour=INK2)),
            Paragraph(pen.phrase(one.value), pen.style(13, bold=True)),
        ]
        for one in summary.figures
    ]
    rows: list[list[Any]] = [list(cells[start : start + 3]) for start in range(0, len(cells), 3)]
    rows = [[*row, *[""] * (3 - len(row))] for row in rows]
    note = Paragraph(
        pen.text(words_for(say("report-page-one-figures", against=summary.against))), pen.style(8.5, colour=INK2)
    )
    return [Spacer(1, 5), Table(rows, colWidths=[width / 3] * 3, style=BARE, hAlign="LEFT"), note]


def _bars(before: Figure, after: Figure, pen: Pen, width: float) -> Drawing:
    """Energy of a year before and after on one scale from nought, each with its uncertainty."""
    left, right = 74.0, width - 112.0
    most = max(before.value + (before.uncertainty or 0.0), after.value + (after.uncertainty or 0.0)) or 1.0
    drawing = Drawing(width, 2 * (BAR_H + 6) + 6)
    rows: tuple[tuple[str, Figure, Color], ...] = (
        (words_for(say("sheet-before")), before, COLOURS["copper"]),
        (words_for(say("sheet-after")), after, COLOURS["verdigris"]),
    )
    for place, (name, figure, colour) in enumerate(rows):
        foot = (1 - place) * (BAR_H + 6) + 4
        end = left + (right - left) * max(figure.value, 0.0) / most
        half = (right - left) * (figure.uncertainty or 0.0) / most
        drawing.add(Rect(left, foot, end - left, BAR_H, fillColor=colour, strokeColor=None))
        drawing.add(Line(end - half, foot + BAR_H / 2, end + half, foot + BAR_H / 2, strokeColor=INK, strokeWidth=1.6))
        drawing.add(String(left - 6, foot + 4, name, fontName="Text", fontSize=9, fillColor=INK, textAnchor="end"))
        said = words_for(say("report-page-one-bars", written=written(figure, pen.units, pen.currency)))
        drawing.add(String(right + 8, foot + 4, said, fontName="Bold", fontSize=9, fillColor=INK))
    drawing.add(Line(left, 0, left, 2 * (BAR_H + 6) + 4, strokeColor=HAIR))
    return drawing


def _signatures(summary: ReportSummary, pen: Pen, width: float) -> list[Flowable]:
    """Whether it is signed off, and lines for those who sign on paper."""
    said = (
        words_for(say("report-page-one-signatures-signed-off", signed=summary.signed))
        if summary.signed
        else words_for(say("report-page-one-signatures-signed-off-2"))
    )
    lines = [[HRFlowable(width=width / 2 - 20, color=INK, thickness=0.6, hAlign="LEFT") for _ in SIGN_HERE]]
    words = [
        [
            Paragraph(words_for(say("report-page-one-signatures-name-day", who=who)), pen.style(8, colour=INK2))
            for who in SIGN_HERE
        ]
    ]
    return [
        Paragraph(pen.text(said), pen.style(9.5, bold=bool(summary.signed), before=9)),
        Spacer(1, 18),
        Table([*lines, *words], colWidths=[width / 2] * 2, style=BARE, hAlign="LEFT"),
    ]


def _image(jpeg: bytes, width: float, height: float) -> Image:
    """A picture as large as fits."""
    image = Image(io.BytesIO(jpeg))
    scale = min(width / image.imageWidth, height / image.imageHeight)
    image.drawWidth, image.drawHeight, image.hAlign = scale * image.imageWidth, scale * image.imageHeight, "LEFT"
    return image
