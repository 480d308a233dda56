"""The report's two pictures: where machine and system meet, and the year with the watts along it."""

from __future__ import annotations

import math
from collections.abc import Callable
from dataclasses import dataclass

from reportlab.graphics.shapes import Circle, Drawing, Line, Polygon, PolyLine, Rect, String
from reportlab.lib.colors import Color, HexColor

from modest_rotor.core.assessment import BalancePoint
from modest_rotor.core.quantities import UnitSystem, quantity, unit_words
from modest_rotor.core.report import Report, YearBar
from modest_rotor.core.say import in_signs, say, words_for

INK, INK2, HAIR = HexColor("#1D1A15"), HexColor("#5B5347"), HexColor("#D6CDBD")
COLOURS = {"copper": HexColor("#98480F"), "verdigris": HexColor("#0C6556"), "violet": HexColor("#554D92")}
TEXT, SMALL = "Text", 7.5
WHOLE_YEAR_H = 8760.0
MARK = 3.2
LETTER_W = 4.2
MOST_TICKS = 5


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
    balance, step = report.balance, report.balance_step
    letters = (
        {report.options[0].letter, *(one.letter for one in report.options if one.chosen)} if report.options else set()
    )
    first_set = next((one for one in balance.points if one.group == "sets"), None)
    points = [one for one in balance.points if one is first_set or (one.group == step and one.label in letters)]
    if not balance.curves or not points:
        return None
    flow, pressure = (_scale(name, units) for name in (balance.flow_quantity, balance.pressure_quantity))
    most_x = 1.4 * max(flow(point.flow.value) for point in points)
    most_y = 1.6 * max(pressure(point.pressure.value) for point in points)
    axes = Axes(40, 26, width - 52, height - 40, most_x, most_y)
    drawing = Drawing(width, height)
    _frame(
        drawing,
        axes,
        words_for(say("report-pictures-balance-picture-flow", unit=_unit(balance.flow_quantity, units))),
        words_for(say("report-pictures-balance-picture-pressure", unit=_unit(balance.pressure_quantity, units))),
    )
    shown = {"found", "system", *(f"{point.label}-{step}" for point in points)}
    for curve in balance.curves:
        if curve.id not in shown:
            continue
        line = [axes.at(flow(x), pressure(y)) for x, y in zip(curve.flow, curve.pressure, strict=True) if flow(x) <= most_x and 0 <= pressure(y) <= most_y]  # fmt: skip
        if len(line) > 1:
            dashed = [4, 3] if curve.kind == "system" else None
            drawing.add(PolyLine([part for place in line for part in place], strokeColor=colour_of(curve.series), strokeWidth=1.2, strokeDashArray=dashed))  # fmt: skip
    for place, labels, series in _gathered(
        points, lambda one: axes.at(flow(one.flow.value), pressure(one.pressure.value))
    ):
        _mark(drawing, place, labels, series)
    return drawing


def _gathered(
    points: list[BalancePoint], at: Callable[[BalancePoint], tuple[float, float]]
) -> list[tuple[tuple[float, float], str, str]]:
    """Points whose marks would cover each other share one label."""
    groups: list[tuple[tuple[float, float], str, str]] = []
    for point in points:
        x, y = at(point)
        for index, ((other_x, other_y), labels, series) in enumerate(groups):
            if abs(x - other_x) < 2 * MARK and abs(y - other_y) < 2 * MARK:
                groups[index] = ((other_x, other_y), f"{labels}, {point.label}", series)
                break
        else:
            groups.append(((x, y), point.label[:16], point.series))
    return groups


def year_picture(report: Report, width: float, height: float) -> Drawing | None:
    """Hours across; watts up: a block for today, a line for what was chosen."""
    bars = [bar for bar in report.year if bar.hours > 0 and bar.today_w]
    if not bars:
        return None
    most = 1.15 * max(max(bar.today_w or 0.0, bar.then_w or 0.0) for bar in bars)
    axes = Axes(40, 26, width - 52, height - 40, max(WHOLE_YEAR_H, sum(bar.hours for bar in bars)), most)
    drawing = Drawing(width, height)
    _frame(drawing, axes, words_for(say("report-pictures-year-picture")), words_for(say("picture-watts")))
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
    if right - left > LETTER_W * len(bar.name) + 4:
        drawing.add(String(left + 3, foot + 4, bar.name, fontName=TEXT, fontSize=SMALL, fillColor=INK))


def _frame(drawing: Drawing, axes: Axes, across: str, up: str) -> None:
    for y in _ticks(axes.most_y):
        _, at_y = axes.at(0.0, y)
        drawing.add(Line(axes.left, at_y, axes.left + axes.width, at_y, strokeColor=HAIR, strokeWidth=0.5))
        drawing.add(_words(axes.left - 4, at_y - 2.5, _number(y), "end"))
    for x in _ticks(axes.most_x):
        drawing.add(_words(axes.at(x, 0.0)[0], axes.foot - 10, _number(x), "middle"))
    drawing.add(_words(axes.left + axes.width, axes.foot - 20, across, "end"))
    drawing.add(_words(axes.left - 34, axes.foot + axes.height + 6, up, "start"))


def _words(x: float, y: float, text: str, anchor: str) -> String:
    return String(x, y, text, fontName=TEXT, fontSize=SMALL, fillColor=INK2, textAnchor=anchor)


def _ticks(most: float) -> list[float]:
    """Round numbers from nought, five at most."""
    rough = most / MOST_TICKS
    power = 10.0 ** math.floor(math.log10(rough))
    step = next(power * factor for factor in (1, 2, 2.5, 5, 10) if power * factor >= rough)
    return [step * place for place in range(int(most / step + 1e-9) + 1)]


def _mark(drawing: Drawing, place: tuple[float, float], labels: str, series: str) -> None:
    """A mark of the series with what it stands for."""
    x, y = place
    colour = colour_of(series)
    if series.startswith("verdigris"):
        drawing.add(Rect(x - MARK, y - MARK, 2 * MARK, 2 * MARK, fillColor=colour, strokeColor=None))
    elif series.startswith("violet"):
        drawing.add(Polygon([x, y + MARK, x + MARK, y - MARK, x - MARK, y - MARK], fillColor=colour, strokeColor=None))
    else:
        drawing.add(Circle(x, y, MARK, fillColor=colour if series == "copper" else None, strokeColor=colour))
    drawing.add(String(x + 6, y + 5, labels, fontName=TEXT, fontSize=SMALL, fillColor=colour))


def _scale(name: str, units: UnitSystem) -> Callable[[float], float]:
    return quantity(name).reader_unit(units).from_si


def _unit(name: str, units: UnitSystem) -> str:
    return words_for(unit_words(quantity(name).reader_unit(units).symbol))


def _number(value: float) -> str:
    return in_signs(f"{value:,.0f}" if value >= MOST_TICKS or value == 0 else f"{value:.3g}")
