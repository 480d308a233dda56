"""Logger files as they come: gaps, text, two clocks, doubled stamps, a clock put back."""

from __future__ import annotations

from datetime import datetime, timedelta

import pytest

from modest_rotor.formats.logger_csv import LogRefused, read_log
from tests.said import codes_of, refused_with


def rows(count: int = 300, step: int = 5, form: str = "%Y-%m-%d %H:%M", start: str = "2026-03-02 00:00") -> list[str]:
    """Stamps with amps that run a third of each hour."""
    first = datetime.fromisoformat(start)
    stamps = [first + timedelta(minutes=step * n) for n in range(count)]
    return [f"{stamp:{form}},{3.9 if stamp.minute < 20 else 0.1}" for stamp in stamps]


def log(lines: list[str], head: str = "Time,Motor A") -> str:
    return "\n".join([head, *lines])


def test_an_ordinary_log_is_read() -> None:
    report = read_log(log(rows()))
    assert (report.time_column, report.value_column, report.rows) == ("Time", "Motor A", 300)
    assert report.year.run_fraction.value == pytest.approx(1 / 3, abs=0.01)
    assert report.remarks == []


def test_lines_above_the_table_are_passed_over() -> None:
    report = read_log("Logger 4711\nInterval 5 min\n" + log(rows()))
    assert report.rows == 300


def test_semicolons_and_decimal_commas_are_read() -> None:
    lines = [
        line.replace(",", ";").replace(".", ",") for line in rows(form="%d-%m-%Y %H:%M:%S", start="2026-03-20 00:00")
    ]
    assert read_log(log(lines, "Date;Motor A")).year.run_fraction.value == pytest.approx(1 / 3, abs=0.01)


def test_text_and_empty_rows_are_left_out_and_said() -> None:
    lines = rows()
    lines[10], lines[50] = "2026-03-02 00:50,error", "restart,"
    report = read_log(log(lines))
    assert any("2 rows left out" in remark and "line 12, line 52" in remark for remark in report.remarks)


def test_a_gap_is_said_and_not_counted() -> None:
    lines = rows()
    report = read_log(log(lines[:100] + lines[180:]))
    assert any(remark.startswith("1 gaps, 6.") for remark in report.remarks)
    assert report.year.run_fraction.value == pytest.approx(1 / 3, abs=0.02)


def test_doubled_stamps_keep_the_first() -> None:
    lines = rows()
    report = read_log(log(lines[:50] + [lines[49].replace("0.1", "9.9")] * 3 + lines[50:]))
    assert any("3 rows with a time that was there already" in remark for remark in report.remarks)


def test_a_clock_put_back_in_autumn_is_counted_on() -> None:
    before = rows(36, start="2026-10-25 00:00")
    after = rows(200, start="2026-10-25 02:00")
    report = read_log(log(before + after))
    assert any("logger-csv-ordered-clock-put" in codes_of(remark) for remark in report.remarks)
    assert report.year.days == pytest.approx((36 + 200 - 1) * 5 / 1440, abs=0.001)


def test_stamps_with_their_zone_need_no_guess() -> None:
    lines = [line.replace(",", "+02:00,") for line in rows(20, start="2026-10-25 02:00")]
    lines += [line.replace(",", "+01:00,") for line in rows(200, start="2026-10-25 02:40")]
    assert read_log(log(lines)).remarks == []


def test_two_clocks_are_said_and_one_is_used() -> None:
    lines = [f"{line.split(',')[0]},{line}" for line in rows()]
    report = read_log(log(lines, "Time UTC,Time local,Motor A"))
    assert any("2 clocks" in remark for remark in report.remarks)


def test_a_day_that_could_be_a_month_is_asked_about() -> None:
    lines = rows(form="%m/%d/%Y %H:%M")
    with refused_with(LogRefused, "logger-csv-time-reader-could-day"):
        read_log(log(lines))
    assert read_log(log(lines), order="month-first").year.days == pytest.approx(299 * 5 / 1440)


def test_dates_that_contradict_each_other_are_refused() -> None:
    lines = [
        *rows(20, form="%d/%m/%Y %H:%M", start="2026-03-20 00:00"),
        *rows(20, form="%m/%d/%Y %H:%M", start="2026-03-21 00:00"),
    ]
    with refused_with(LogRefused, "logger-csv-time-reader-some-dates"):
        read_log(log(lines))


@pytest.mark.parametrize(
    ("text", "words"),
    [
        ("", "head and rows"),
        ("a\0b\n1,2", "no text table"),
        ("name,value\nx,1\ny,2", "No column with date and time"),
        (log(rows(5)), "Only 5 rows"),
        (log([line.split(",")[0] + ",high" for line in rows()]), "No column of numbers"),
    ],
    ids=["empty", "binary", "no time", "few rows", "no numbers"],
)
def test_what_is_no_log_is_refused_in_words(text: str, words: str) -> None:
    with pytest.raises(LogRefused, match=words):
        read_log(text)


def test_a_column_can_be_named_and_kilowatts_are_watts() -> None:
    lines = [f"{line},{0.8 if ',3.9' in line else 0.003}" for line in rows()]
    report = read_log(log(lines, "Time,Motor A,Input kW"), column="Input kW")
    assert report.year.kind == "watts"
    with refused_with(LogRefused, "logger-csv-value-column-file-column"):
        read_log(log(lines, "Time,Motor A,Input kW"), column="Nothing")


@pytest.mark.parametrize("head", ["Run", "On", "Motor on", "State"])
@pytest.mark.parametrize(("on", "off"), [("1", "0"), ("on", "off"), ("Run", "Stop")])
def test_a_log_of_on_and_off_is_read_whatever_word_heads_it(head: str, on: str, off: str) -> None:
    """A word that fills a column may head it too."""
    lines = [line.replace(",3.9", f",{on}").replace(",0.1", f",{off}") for line in rows()]
    report = read_log("Logger 4711\n" + log(lines, f"Time,{head}"))
    assert (report.rows, report.year.kind, report.value_column) == (300, "on-off", head)
    assert report.year.run_fraction.value == pytest.approx(1 / 3, abs=0.01) and report.year.energy is None


def test_kilowatts_and_milliamperes_are_what_their_watts_and_amperes_are() -> None:
    def told(head: str, scale: float) -> float:
        lines = [f"{line.split(',')[0]},{scale * float(line.split(',')[1])}" for line in rows()]
        report = read_log(log(lines, f"Time,{head}"))
        figure = report.year.energy if report.year.kind == "watts" else report.year.hours
        assert figure is not None
        return figure.value

    assert told("Input kW", 0.1) == pytest.approx(told("Input W", 100.0))
    assert told("Input W", 100.0) == pytest.approx(25 * 100 * (3.9 / 3 + 0.1 * 2 / 3) / 1000)  # kWh in the 25 h of it
    assert told("Motor mA", 1000.0) == pytest.approx(told("Motor A", 1.0))


def test_where_no_heading_names_a_time_the_first_column_is_looked_at() -> None:
    report = read_log(log(rows(), "when it was,Motor A"))
    assert (report.time_column, report.value_column, report.rows) == ("when it was", "Motor A", 300)
    with refused_with(LogRefused, "logger-csv-time-column-column-date"):
        read_log("a,b\n" + "\n".join(",".join(reversed(line.split(","))) for line in rows()))
