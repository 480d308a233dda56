"""The report's two pictures: where machine and system meet, and the year with the watts along it."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass

from reportlab.graphics.shapes import Circle, Drawing, Line, Polygon, PolyLine, Rect, String
from reportlab.lib.colors import Color, HexColor

from modest_rotor.core.assessment import BalancePoint
from modest_rotor.core.quantities import UnitSystem, quantity
from modest_rotor.core.report import Report, YearBar

INK, INK2, HAIR = HexColor("#1D1A15"), HexColor("#5B5347"), HexColor("#D6CDBD")
COLOURS = {"copper": HexColor("#98480F"), "verdigris": HexColor("#0C6556"), "violet": HexColor("#554D92")}
TEXT, SMALL = "Text", 7.5
WHOLE_YEAR_H = 8760.0
MARK = 3.2
MOST_LABELS_W = 60.0


@dataclass(frozen=True)
class Axes:
    """A plot's frame, and how values become places on it."""

    left: float
    foot: float
    width: float
    height: float
    most_x: float
    most_y: float

    def at(self, x: float, y: float) -> tuple[float, float]:
        """The place of a value, in points."""
        return self.left + self.width * x / self.most_x, self.foot + self.height * y / self.most_y


def colour_of(series: str) -> Color:
    """The colour of a series, whatever its mark."""
    return COLOURS.get(series.partition("-")[0], INK)


def balance_picture(report: Report, units: UnitSystem, width: float, height: float) -> Drawing | None:
    """Curves of the first step, the system, and a mark for the machine and every option, each written at its mark."""
    balance = report.balance
    step = report.balance_step
    points = [one for one in balance.points if one.group in ("sets", step)]
    if not balance.curves or not points:
        return None
    flow, pressure = (_scale(name, units) for name in (balance.flow_quantity, balance.pressure_quantity))
    most_x = 1.25 * max(flow(point.flow.value) for point in points)
    most_y = 1.6 * max(pressure(point.pressure.value) for point in points)
    axes = Axes(40, 26, width - 52, height - 40, most_x, most_y)
    drawing = Drawing(width, height)
    _frame(
        drawing,
        axes,
        f"flow, {_unit(balance.flow_quantity, units)}",
        f"pressure, {_unit(balance.pressure_quantity, units)}",
    )
    shown = {"found", "system", *(f"{point.label}-{step}" for point in points)}
    for curve in balance.curves:
        if curve.id not in shown:
            continue
        line = [axes.at(flow(x), pressure(y)) for x, y in zip(curve.flow, curve.pressure, strict=True) if flow(x) <= most_x and 0 <= pressure(y) <= most_y]  # fmt: skip
        if len(line) > 1:
            dashed = [4, 3] if curve.kind == "system" else None
            drawing.add(PolyLine([part for place in line for part in place], strokeColor=colour_of(curve.series), strokeWidth=1.2, strokeDashArray=dashed))  # fmt: skip
    taken: list[tuple[float, float]] = []
    for point in points:
        _mark(drawing, axes.at(flow(point.flow.value), pressure(point.pressure.value)), point, taken)
    return drawing


def year_picture(report: Report, width: float, height: float) -> Drawing | None:
    """Hours across; watts up: a block for today, a line for what was chosen."""
    bars = [bar for bar in report.year if bar.hours > 0 and bar.today_w]
    if not bars:
        return None
    most = 1.15 * max(max(bar.today_w or 0.0, bar.then_w or 0.0) for bar in bars)
    axes = Axes(40, 26, width - 52, height - 40, max(WHOLE_YEAR_H, sum(bar.hours for bar in bars)), most)
    drawing = Drawing(width, height)
    _frame(drawing, axes, "hours of the year", "watts")
    start = 0.0
    for bar in bars:
        _block(drawing, axes, bar, start)
        start += bar.hours
    return drawing


def _block(drawing: Drawing, axes: Axes, bar: YearBar, start: float) -> None:
    left, foot = axes.at(start, 0.0)
    right, top = axes.at(start + bar.hours, bar.today_w or 0.0)
    pale = Color(COLOURS["copper"].red, COLOURS["copper"].green, COLOURS["copper"].blue, alpha=0.24)
    drawing.add(Rect(left, foot, max(right - left - 1, 1), top - foot, fillColor=pale, strokeColor=None))
    drawing.add(Line(left, top, right - 1, top, strokeColor=COLOURS["copper"], strokeWidth=2))
    if bar.then_w is not None:
        _, then = axes.at(0.0, bar.then_w)
        drawing.add(
            Line(left, then, right - 1, then, strokeColor=COLOURS["verdigris"], strokeWidth=2, strokeDashArray=[5, 2])
        )
    if right - left > MOST_LABELS_W:
        drawing.add(String(left + 3, foot + 4, bar.name[:28], fontName=TEXT, fontSize=SMALL, fillColor=INK))


def _frame(drawing: Drawing, axes: Axes, across: str, up: str) -> None:
    for place in range(5):
        x, y = axes.most_x * place / 4, axes.most_y * place / 4
        at_x, _ = axes.at(x, 0.0)
        _, at_y = axes.at(0.0, y)
        drawing.add(Line(axes.left, at_y, axes.left + axes.width, at_y, strokeColor=HAIR, strokeWidth=0.5))
        drawing.add(
            String(at_x, axes.foot - 10, _number(x), fontName=TEXT, fontSize=SMALL, fillColor=INK2, textAnchor="middle")
        )
        drawing.add(
            String(
                axes.left - 4, at_y - 2.5, _number(y), fontName=TEXT, fontSize=SMALL, fillColor=INK2, textAnchor="end"
            )
        )
    drawing.add(
        String(
            axes.left + axes.width,
            axes.foot - 20,
            across,
            fontName=TEXT,
            fontSize=SMALL,
            fillColor=INK2,
            textAnchor="end",
        )
    )
    drawing.add(String(axes.left - 34, axes.foot + axes.height + 6, up, fontName=TEXT, fontSize=SMALL, fillColor=INK2))


def _mark(drawing: Drawing, place: tuple[float, float], point: BalancePoint, taken: list[tuple[float, float]]) -> None:
    """A mark of the series with its label, moved up where another stands."""
    x, y = place
    colour = colour_of(point.series)
    if point.series.startswith("verdigris"):
        drawing.add(Rect(x - MARK, y - MARK, 2 * MARK, 2 * MARK, fillColor=colour, strokeColor=None))
    elif point.series.startswith("violet"):
        drawing.add(Polygon([x, y + MARK, x + MARK, y - MARK, x - MARK, y - MARK], fillColor=colour, strokeColor=None))
    else:
        drawing.add(Circle(x, y, MARK, fillColor=colour if point.series == "copper" else None, strokeColor=colour))
    label_y = y + 6
    while any(abs(x - other_x) < 18 and abs(label_y - other_y) < 8 for other_x, other_y in taken):
        label_y += 8
    taken.append((x, label_y))
    drawing.add(String(x + 5, label_y, point.label[:14], fontName=TEXT, fontSize=SMALL, fillColor=colour))


def _scale(name: str, units: UnitSystem) -> Callable[[float], float]:
    return quantity(name).reader_unit(units).from_si


def _unit(name: str, units: UnitSystem) -> str:
    return quantity(name).reader_unit(units).symbol


def _number(value: float) -> str:
    return f"{value:,.0f}" if value >= 10 or value == 0 else f"{value:.2g}"
