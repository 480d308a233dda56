"""The chart in the panel, the blower's table, and what they refuse."""

from __future__ import annotations

import pytest

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.stations.charts import (
    MOST_ROWS,
    ChartRefused,
    Charts,
    amps_chart,
    amps_chart_state,
    blower_table,
    blower_table_state,
    read_grid,
)
from tests.machines import CFM, IN_WG
from tests.said import codes_of, refused_with

# Made up: a forward-curved blower, amps at two volts.
CHART = "cfm 208 230\n1600 3.9 3.6\n1800 4.5 4.2\n2000 5.2 4.8"
TABLE = "in. w.g.\tHigh\tMed\tLow\n0.2\t1400\t1200\t1000\n0.5\t1250\t1080\t900\n0.8\t1000\t-\t-"


def chart(text: str = CHART) -> object:
    return amps_chart(Charts(amps_chart=text))


def test_on_a_column_and_a_row_the_chart_gives_its_own_cell() -> None:
    read = chart().flow(230.0, 4.2)  # type: ignore[attr-defined]
    assert read.between == pytest.approx(1800 * CFM) and read.nearest == pytest.approx(1800 * CFM)
    assert not read.schools_differ


def test_between_columns_both_schools_are_read() -> None:
    # 219 V lies half way: straight interpolation by hand of 1,800 cfm at 4.35 A in the middle of both columns.
    read = chart().flow(219.0, 4.35)  # type: ignore[attr-defined]
    low, high = 1600 + 200 * (4.35 - 3.9) / 0.6, 1800 + 200 * (4.35 - 4.2) / 0.6
    assert read.between == pytest.approx((low + high) / 2 * CFM)
    assert read.nearest == pytest.approx(low * CFM)
    assert read.schools_differ == (abs(low / ((low + high) / 2) - 1) > 0.03)


def test_the_clamp_for_a_wanted_flow() -> None:
    # 1,850 cfm at 230 V: a quarter of the way from 4.2 to 4.8 A.
    assert chart().amps(230.0, 1850 * CFM) == pytest.approx(4.35)  # type: ignore[attr-defined]


@pytest.mark.parametrize(
    ("volts", "amps", "words"),
    [(240.0, 4.0, "10 V outside"), (230.0, 5.5, "0.70 A outside"), (230.0, 3.0, "0.60 A outside")],
)
def test_outside_it_refuses_and_says_how_far(volts: float, amps: float, words: str) -> None:
    with pytest.raises(OutsideValidity, match=words):
        chart().flow(volts, amps)  # type: ignore[attr-defined]


def test_two_answers_are_refused() -> None:
    with refused_with(OutsideValidity, "chart-flow-in-v-column"):
        chart("cfm 230\n1000 3.0\n1400 4.0\n1800 3.2").flow(230.0, 3.5)  # type: ignore[attr-defined]


def test_a_column_that_is_not_monotone_is_questioned_and_an_axial_one_named() -> None:
    state = amps_chart_state(Charts(amps_chart="cfm 230\n1000 3.0\n1400 4.0\n1800 3.2"))
    assert state and "charts-amps-chart-state-v-amps-rise" in codes_of(state.questions[0])
    axial = amps_chart_state(Charts(amps_chart="cfm 230\n1000 3.0\n1400 2.8\n1800 2.5"))
    assert axial and "charts-amps-chart-state-v-amps" in codes_of(axial.questions[0])


def test_spreadsheets_commas_and_semicolons() -> None:
    same = [
        CHART.replace(" ", "\t"),
        CHART.replace(" ", ","),
        "m³/h;208;230\n2718,4;3,9;3,6\n3058,2;4,5;4,2\n3398;5,2;4,8",
    ]
    for text in same:
        assert chart(text).flow(230.0, 4.2).between == pytest.approx(1800 * CFM, rel=1e-4)  # type: ignore[attr-defined]
    assert read_grid("208 230\n1600 3.9 3.6\n1800 4.5 4.2").head == ("208", "230")


@pytest.mark.parametrize(
    ("text", "words"),
    [
        ("", "at least 2 rows"),
        ("cfm 230\n1600 3.9\n1800 four", "“four” in line 3"),
        ("cfm 230\n1600 3.9 4.0\n1800 4.2", "2 cells under 1 heads"),
        ("208 230\n1600 3.9 3.6\n1800 4.5 4.2", "in which unit"),
        ("cfm 230\n1600 3.9\n1600 4.2", "same number"),
        ("cfm 230\n" + "\n".join(f"{row} 1" for row in range(200_000)), "at most 60 rows"),
    ],
)
def test_what_is_no_chart_is_refused_in_words(text: str, words: str) -> None:
    with pytest.raises(ChartRefused, match=words):
        amps_chart(Charts.model_construct(amps_chart=text, amps_chart_flow=None))


def test_a_blower_table() -> None:
    charts = Charts(blower_table=TABLE, blower_table_flow="cfm")
    table = blower_table(charts)
    assert table.flow("med", 0.35 * IN_WG) == pytest.approx(1140 * CFM)
    with refused_with(OutsideValidity, "chart-flow-lies-outside"):
        table.flow("Low", 0.8 * IN_WG)
    (ends,) = (statics for tap, statics, _ in table.columns if tap.lower() == "low")
    for static, off in ((ends[0] - 7, 7), (ends[-1] + 13, 13)):
        with pytest.raises(OutsideValidity, match=rf" {off} Pa .*outside the tap.s rows"):
            table.flow("Low", static)
    with refused_with(OutsideValidity, "chart-flow-table-tap"):
        table.flow("turbo", 50.0)
    state = blower_table_state(charts)
    assert state and "charts-blower-table-state-say-parts" in codes_of(state.questions[0]) and len(state.columns) == 3


def test_empty_cells_at_the_end_of_a_row_are_none_and_a_short_row_is_filled() -> None:
    """What a spreadsheet leaves behind: separators after the last value, and rows that end early."""
    grid = read_grid("cfm;208;230\n1600;3.9;3.6;;\n1800;4.5\n2000;;4.8")
    assert grid.rows == ((1600.0, (3.9, 3.6)), (1800.0, (4.5, None)), (2000.0, (None, 4.8)))
    with pytest.raises(ChartRefused, match="3 cells under 2 heads"):
        read_grid("cfm;208;230\n1600;3.9;;3.6\n1800;4.5;4.2")


def test_as_many_rows_as_a_chart_may_have_are_read_and_one_more_is_refused() -> None:
    rows = [f"{1000 + 10 * place} {3 + place / 100}" for place in range(MOST_ROWS)]
    assert len(read_grid("\n".join(["cfm 230", *rows])).rows) == MOST_ROWS
    with pytest.raises(ChartRefused, match=f"this has {MOST_ROWS + 1}"):
        read_grid("\n".join(["cfm 230", *rows, "9000 9"]))
