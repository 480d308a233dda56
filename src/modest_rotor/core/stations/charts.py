"""The chart of amps and volts, and the blower's table: typed or pasted, read, questioned or refused."""

from __future__ import annotations

import itertools
import re
from collections.abc import Callable
from dataclasses import dataclass
from typing import Literal, TypeVar

from modest_rotor.core.coded import Coded
from modest_rotor.core.errors import Refusal
from modest_rotor.core.identify.chart import LEAST, AmpsChart, BlowerTable, Column
from modest_rotor.core.phrase import Frozen
from modest_rotor.core.quantities import quantity
from modest_rotor.core.say import Number, say
from modest_rotor.core.stations.sheet import Sheet, chosen, told

LONGEST_TABLE = 4000
MOST_ROWS, MOST_COLUMNS = 60, 12
EMPTY_CELLS = ("", "-", "–", "—", "n/a", "na")
CHART_EXAMPLE = say("charts-chart-example")


class CountedParts(Coded):
    """What a maker's table counts as external."""

    BOTH = "both"
    COIL = "coil"
    FILTER = "filter"
    NEITHER = "neither"


class Charts(Sheet):
    """What is glued inside the panel."""

    amps_chart: str | None = told("field-Charts-amps_chart", longest=LONGEST_TABLE)  # fmt: skip
    amps_chart_flow: Literal["cfm", "L/s", "m³/h"] | None = chosen("field-Charts-amps_chart_flow")
    blower_table: str | None = told("field-Charts-blower_table", longest=LONGEST_TABLE)
    blower_table_flow: Literal["cfm", "L/s", "m³/h"] | None = chosen("field-Charts-blower_table_flow")
    blower_table_static: Literal["in. w.g.", "Pa"] | None = chosen("field-Charts-blower_table_static")
    counted_external: CountedParts | None = chosen("field-Charts-counted_external")


class ChartRefused(Refusal):
    """A chart or table that cannot be read."""


@dataclass(frozen=True)
class Grid:
    """A table as typed: a head of words, and rows that begin with a number."""

    corner: str
    head: tuple[str, ...]
    rows: tuple[tuple[float, tuple[float | None, ...]], ...]


class ChartLine(Frozen):
    """One column, for drawing."""

    name: str
    across: tuple[float, ...]
    up: tuple[float, ...]


class ChartState(Frozen):
    """What a chart came to: what is wrong with it, or what is to be asked of it, and its lines for drawing (SI)."""

    refused: str | None = None
    questions: tuple[str, ...] = ()
    columns: tuple[ChartLine, ...] = ()


def read_grid(text: str) -> Grid:
    """A pasted or typed table as numbers.

    :raises ChartRefused: not a table: which line, and what is wrong with it.
    """
    lines = [line for line in text.splitlines() if line.strip()]
    if len(lines) < 1 + LEAST:
        raise ChartRefused(say("charts-read-grid-chart-head", least=LEAST, chart_example=CHART_EXAMPLE))
    if len(lines) > 1 + MOST_ROWS:
        raise ChartRefused(say("charts-read-grid-chart-most", most_rows=MOST_ROWS, lines=Number(len(lines) - 1, ",")))
    split = _splitter(text)
    corner, *head = split(lines[0])
    if corner[:1].isdigit() and len(split(lines[1])) == len(head) + 2:  # a head without a corner
        corner, head = "", [corner, *head]
    if not 1 <= len(head) <= MOST_COLUMNS:
        raise ChartRefused(say("charts-read-grid-chart-columns", most_columns=MOST_COLUMNS, head=len(head)))
    rows = tuple(_row(number, split(line), len(head)) for number, line in enumerate(lines[1:], 2))
    return Grid(corner, tuple(head), tuple(sorted(rows, key=lambda row: row[0])))


def amps_chart(charts: Charts) -> AmpsChart:
    """The chart of amps and volts in SI.

    :raises ChartRefused: what is wrong with it.
    """
    grid = read_grid(charts.amps_chart or "")
    unit = _factor("airflow", charts.amps_chart_flow or grid.corner, "flow")
    keys = [_number(name, 1) for name in grid.head]
    columns = []
    for place, key in enumerate(keys):
        cells = [(flow * unit, row[place]) for flow, row in grid.rows]
        known = [(flow, amps) for flow, amps in cells if amps is not None]
        if len(known) < LEAST:
            raise ChartRefused(say("charts-amps-chart-v-column", key=Number(key, "g"), least=LEAST))
        columns.append(Column(key, tuple(flow for flow, _ in known), tuple(amps for _, amps in known)))
    if len(set(keys)) != len(keys):
        raise ChartRefused(say("charts-amps-chart-two-columns"))
    _refuse_repeated([row[0] for row in grid.rows])
    return AmpsChart(tuple(sorted(columns, key=lambda column: column.key)))


def blower_table(charts: Charts) -> BlowerTable:
    """The blower's table in SI.

    :raises ChartRefused: what is wrong with it.
    """
    grid = read_grid(charts.blower_table or "")
    flow = _factor("airflow", charts.blower_table_flow or "", "flow")
    static = _factor("pressure", charts.blower_table_static or grid.corner, "static")
    _refuse_repeated([row[0] for row in grid.rows])
    columns = []
    for place, name in enumerate(grid.head):
        known = [(row[0] * static, cell * flow) for row in grid.rows if (cell := row[1][place]) is not None]
        if len(known) < LEAST:
            raise ChartRefused(say("charts-blower-table", name=name, least=LEAST))
        columns.append((name, tuple(pa for pa, _ in known), tuple(cell for _, cell in known)))
    return BlowerTable(tuple(columns))


def amps_chart_state(charts: Charts) -> ChartState | None:
    """What the typed chart of amps came to; nothing where none was typed."""
    if not charts.amps_chart:
        return None
    try:
        chart = amps_chart(charts)
    except Refusal as refusal:
        return ChartState(refused=refusal.sentence)
    questions = []
    for column in chart.columns:
        if column.falls:
            questions.append(say("charts-amps-chart-state-v-amps", key=Number(column.key, "g")))
        elif not column.rises:
            questions.append(say("charts-amps-chart-state-v-amps-rise", key=Number(column.key, "g")))
    lines = tuple(ChartLine(name=f"{column.key:g} V", across=column.rows, up=column.cells) for column in chart.columns)
    return ChartState(questions=tuple(questions), columns=lines)


def blower_table_state(charts: Charts) -> ChartState | None:
    """What the typed blower table came to; nothing where none was typed."""
    if not charts.blower_table:
        return None
    try:
        table = blower_table(charts)
    except Refusal as refusal:
        return ChartState(refused=refusal.sentence)
    questions = [
        say("charts-blower-table-state-flow-rises", name=name)
        for name, _, flows in table.columns
        if any(after > before for before, after in itertools.pairwise(flows))
    ]
    if charts.counted_external is None:
        questions.append(say("charts-blower-table-state-say-parts"))
    lines = tuple(ChartLine(name=name, across=flows, up=statics) for name, statics, flows in table.columns)
    return ChartState(questions=tuple(questions), columns=lines)


Chart = TypeVar("Chart")


def readable(read: Callable[[Charts], Chart], charts: Charts) -> Chart | None:
    """A chart as ``read`` reads it, or nothing where it cannot be read, which its own state tells."""
    try:
        return read(charts)
    except Refusal:
        return None


def _splitter(text: str) -> Callable[[str], list[str]]:
    mark = next((mark for mark in ("\t", ";", ",") if mark in text), None)
    if mark is None:
        return lambda line: re.split(r"\s+", line.strip())
    if mark == ";":
        return lambda line: [cell.strip().replace(",", ".") for cell in line.split(";")]
    return lambda line: [cell.strip() for cell in line.split(mark)]


def _row(number: int, cells: list[str], columns: int) -> tuple[float, tuple[float | None, ...]]:
    first, *rest = cells
    while len(rest) > columns and not rest[-1]:
        rest.pop()
    if len(rest) > columns:
        raise ChartRefused(say("charts-row", number=number, rest=len(rest), columns=columns))
    padded = rest + [""] * (columns - len(rest))
    return _number(first, number), tuple(
        None if cell.lower() in EMPTY_CELLS else _number(cell, number) for cell in padded
    )


def _number(text: str, line: int) -> float:
    match = re.match(r"\s*(\d{1,3}(?:,\d{3})+(?:\.\d+)?|\d+(?:\.\d+)?|\.\d+)", text)
    if match is None:
        raise ChartRefused(say("charts-number", text=text[:30], line=line))
    return float(match[1].replace(",", ""))


def _factor(name: str, spelling: str, what: str) -> float:
    unit = quantity(name).unit_named(spelling.strip())
    if unit is None or not spelling.strip():
        raise ChartRefused(say("charts-factor", what=what))
    return unit.factor


def _refuse_repeated(keys: list[float]) -> None:
    if len(set(keys)) != len(keys):
        raise ChartRefused(say("charts-refuse-repeated"))
