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
from modest_rotor.core.stations.sheet import Sheet, chosen, told

LONGEST_TABLE = 4000
MOST_ROWS, MOST_COLUMNS = 60, 12
EMPTY_CELLS = ("", "-", "–", "—", "n/a", "na")
CHART_EXAMPLE = "For example: cfm 208 230, then under it 1600 3.9 3.6."


class CountedParts(Coded):
    """What a maker's table counts as external."""

    BOTH = "both"
    COIL = "coil"
    FILTER = "filter"
    NEITHER = "neither"


class Charts(Sheet):
    """What is glued inside the panel."""

    amps_chart: str | None = told(
        "Amps-and-volts airflow chart", "Volts across, flow down, amps in the cells; typed, or pasted from a spreadsheet.", longest=LONGEST_TABLE
    )  # fmt: skip
    amps_chart_flow: Literal["cfm", "L/s", "m³/h"] | None = chosen("Its flow is in")
    blower_table: str | None = told(
        "Blower table", "Taps across, external static down, flow in the cells; typed, or pasted.", longest=LONGEST_TABLE
    )
    blower_table_flow: Literal["cfm", "L/s", "m³/h"] | None = chosen("Its flow is in")
    blower_table_static: Literal["in. w.g.", "Pa"] | None = chosen("Its static is in")
    counted_external: CountedParts | None = chosen(
        "Parts that it counts as external", "Those whose resistance the static must hold as well."
    )


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
        raise ChartRefused(f"A chart has a head and at least {LEAST} rows. {CHART_EXAMPLE}")
    if len(lines) > 1 + MOST_ROWS:
        raise ChartRefused(f"A chart has at most {MOST_ROWS} rows; this has {len(lines) - 1:,}. It is kept as typed.")
    split = _splitter(text)
    corner, *head = split(lines[0])
    if corner[:1].isdigit() and len(split(lines[1])) == len(head) + 2:  # a head without a corner
        corner, head = "", [corner, *head]
    if not 1 <= len(head) <= MOST_COLUMNS:
        raise ChartRefused(f"A chart has 1 to {MOST_COLUMNS} columns; this has {len(head)}. It is kept as typed.")
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
            raise ChartRefused(f"The {key:g} V column has fewer than {LEAST} amps. It is kept as typed.")
        columns.append(Column(key, tuple(flow for flow, _ in known), tuple(amps for _, amps in known)))
    if len(set(keys)) != len(keys):
        raise ChartRefused("Two columns have the same volts. Keep one of them.")
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
            raise ChartRefused(f"The column “{name}” has fewer than {LEAST} flows. It is kept as typed.")
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
            questions.append(
                f"At {column.key:g} V amps fall as air rises: right for an axial wheel, wrong for a blower."
            )
        elif not column.rises:
            questions.append(f"At {column.key:g} V amps rise and fall along the column: look for a slip in typing.")
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
        f"On “{name}” flow rises with static somewhere: look for a slip in typing."
        for name, _, flows in table.columns
        if any(after > before for before, after in itertools.pairwise(flows))
    ]
    if charts.counted_external is None:
        questions.append("Say which parts the table counts as external: it decides what the static must hold.")
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
        raise ChartRefused(f"Line {number} has {len(rest)} cells under {columns} heads. It is kept as typed.")
    padded = rest + [""] * (columns - len(rest))
    return _number(first, number), tuple(
        None if cell.lower() in EMPTY_CELLS else _number(cell, number) for cell in padded
    )


def _number(text: str, line: int) -> float:
    match = re.match(r"\s*(\d{1,3}(?:,\d{3})+(?:\.\d+)?|\d+(?:\.\d+)?|\.\d+)", text)
    if match is None:
        raise ChartRefused(f"“{text[:30]}” in line {line} is no number. It is kept as typed; correct that cell.")
    return float(match[1].replace(",", ""))


def _factor(name: str, spelling: str, what: str) -> float:
    unit = quantity(name).unit_named(spelling.strip())
    if unit is None or not spelling.strip():
        raise ChartRefused(f"Say in which unit the chart's {what} is: it stands in no cell that could be read.")
    return unit.factor


def _refuse_repeated(keys: list[float]) -> None:
    if len(set(keys)) != len(keys):
        raise ChartRefused("Two rows begin with the same number. Keep one of them.")
