"""A file of readings: columns guessed and said, units of headings, bad rows, doubled stamps, clocks that jump."""

from __future__ import annotations

from datetime import UTC, datetime, timedelta
from zoneinfo import ZoneInfo

import pytest

from modest_rotor.formats.log_csv import LogFile, TimedValues, read_log_file
from modest_rotor.formats.logger_csv import LogRefused
from tests.said import codes_of

NOW = datetime(2026, 6, 1, tzinfo=UTC)
PLAIN = """Serial 4711
time,Line amps (A),Power [kW],static in. w.g.,note
2026-03-01 10:00,3.10,0.410,0.52,first
2026-03-02 10:00,3.05,0.405,0.50,
2026-03-03 10:00,3.02,0.402,0.49,
"""


def read(text: str, **said: object) -> tuple[LogFile, tuple[TimedValues, ...]]:
    return read_log_file(text, NOW, **said)  # type: ignore[arg-type]


def test_columns_are_guessed_with_the_units_of_their_headings() -> None:
    report, rows = read(PLAIN)
    assert [(one.column, one.unit) for one in report.columns] == [
        ("current", "A"), ("input_power", "kW"), ("static", "in. w.g."), ("", ""),
    ]  # fmt: skip
    assert rows[0].values == pytest.approx(
        {"current": 3.10, "input_power": 410.0, "static": 0.52 * 249.08891}, rel=1e-4
    )
    assert (report.readings, report.rows) == (3, 3) and rows[0].at == datetime(2026, 3, 1, 10, tzinfo=UTC)


def test_what_a_person_says_of_a_column_goes_before_the_guess() -> None:
    report, rows = read(PLAIN, mapping={"static in. w.g.": "", "note": ""}, units_of={"Power [kW]": "W"})
    assert "static" not in rows[0].values and rows[0].values["input_power"] == pytest.approx(0.41)
    assert report.columns[2].column == ""


def test_a_bare_heading_is_taken_in_the_readers_units() -> None:
    text = "time,airflow\n2026-03-01 10:00,1450\n2026-03-02 10:00,1440\n"
    assert read(text, units="ip")[1][0].values["airflow"] == pytest.approx(0.6843, rel=1e-3)
    assert read(text, units="si")[1][0].values["airflow"] == pytest.approx(1.45)


def test_bad_rows_are_counted_and_named() -> None:
    report, rows = read(PLAIN + "not a time,3,0.4,0.5,\n2026-03-05 10:00,,,,\n")
    assert len(rows) == 3 and any("2 rows left out" in remark for remark in report.remarks)


def test_values_that_no_such_reading_can_have_are_left_out() -> None:
    report, rows = read(PLAIN + "2026-03-06 10:00,-5,0.4,0.5,\n")
    assert "current" not in rows[-1].values and any("1 values left out" in remark for remark in report.remarks)


def test_a_clock_that_jumps_back_is_told_and_rows_are_put_in_order() -> None:
    report, rows = read(PLAIN + "2026-02-20 10:00,3.2,0.42,0.53,\n")
    assert [row.at.day for row in rows] == [20, 1, 2, 3]
    assert any("jumps back 1 times" in remark for remark in report.remarks)


def test_the_future_and_a_clock_that_was_never_set_are_left_out() -> None:
    report, rows = read(PLAIN + "2027-01-01 00:00,3,0.4,0.5,\n1970-01-01 00:00,3,0.4,0.5,\n")
    assert len(rows) == 3
    assert any("log-csv-in-time-rows-future" in codes_of(remark) for remark in report.remarks)
    assert any("log-csv-in-time-rows-before" in codes_of(remark) for remark in report.remarks)


def test_a_doubled_stamp_keeps_its_first_row() -> None:
    report, rows = read(PLAIN + "2026-03-03 10:00,9,0.9,0.9,\n")
    assert len(rows) == 3 and rows[-1].values["current"] == pytest.approx(3.02)
    assert any("log-csv-in-time-rows-time" in codes_of(remark) for remark in report.remarks)


@pytest.mark.parametrize(
    ("text", "words"),
    [
        ("time,colour\n2026-03-01 10:00,1\n2026-03-02 10:00,2\n", "No column that the log holds"),
        ("time,amps,current\n2026-03-01 10:00,1,2\n2026-03-02 10:00,2,2\n", "Two columns were taken for current"),
        ("amps\n1\n2\n", "Nothing was taken in"),
        ("time,amps\n03/04/2026 10:00,1\n05/04/2026 10:00,2\n", "day first or the month first"),
    ],
)
def test_what_cannot_be_read_is_refused_whole(text: str, words: str) -> None:
    with pytest.raises(LogRefused, match=words):
        read(text)


def test_an_hour_that_the_clock_shows_twice_is_two_hours() -> None:
    """Europe/Lisbon goes back from 2:00 WEST to 1:00 WET on 26 October 2025, 01:00 UTC (IANA time zone database, from memory)."""
    text = "time,Line amps (A)\n" + "".join(
        f"2025-10-26 {clock},{3 + place / 10:.1f}\n"
        for place, clock in enumerate(("00:30", "01:00", "01:30", "01:00", "01:30", "02:00"))
    )
    report, rows = read(text, zone=ZoneInfo("Europe/Lisbon"))
    begun = datetime(2025, 10, 25, 23, 30, tzinfo=UTC)
    assert [row.at for row in rows] == [begun + timedelta(minutes=30 * step) for step in range(6)]
    assert [row.values["current"] for row in rows] == [3.0, 3.1, 3.2, 3.3, 3.4, 3.5] and report.remarks == []


TWICE = (
    "2025-10-26 00:30",
    "2025-10-26 01:00",
    "2025-10-26 01:30",
    "2025-10-26 01:00",
    "2025-10-26 01:30",
    "2025-10-26 02:00",
)


def logged(*clocks: str, zone: str = "Europe/Lisbon") -> list[str]:
    """What hours of UTC some rows of a clock come to, in order."""
    text = "time,Line amps (A)\n" + "".join(f"{clock},{3 + place / 10:.1f}\n" for place, clock in enumerate(clocks))
    return [f"{row.at:%H:%M}" for row in read(text, zone=ZoneInfo(zone))[1]]


def test_a_file_from_the_newest_row_down_has_its_hours_as_well() -> None:
    assert logged(*TWICE[::-1]) == ["23:30", "00:00", "00:30", "01:00", "01:30", "02:00"]


def test_an_hourly_log_has_its_hour_twice_and_a_doubled_row_is_only_doubled() -> None:
    hourly = ("2025-10-26 00:00", "2025-10-26 01:00", "2025-10-26 01:00", "2025-10-26 02:00")
    assert logged("2025-10-25 23:00", *hourly) == ["22:00", "23:00", "00:00", "01:00", "02:00"]
    minutes = ("2025-10-26 01:00", "2025-10-26 01:05", "2025-10-26 01:05", "2025-10-26 01:10")
    assert logged(*minutes) == ["00:00", "00:05", "00:10"], "a row written twice is not an hour later"


@pytest.mark.parametrize("zone", ["Asia/Kolkata", "UTC"])
def test_a_clock_that_is_never_set_back_goes_on_as_it_stands(zone: str) -> None:
    rows = ("2025-10-26 00:30", "2025-10-26 01:00", "2025-10-26 01:30")
    shift = 5.5 if zone == "Asia/Kolkata" else 0.0
    hours = [(float(one[11:13]) + float(one[14:16]) / 60 - shift) % 24 for one in rows]
    assert logged(*rows, zone=zone) == [f"{int(one):02d}:{round(60 * (one % 1)):02d}" for one in hours]


def test_a_clock_set_back_where_no_zone_explains_it_says_so_and_names_what_it_left_out() -> None:
    report, rows = read("time,Line amps (A)\n2025-10-26 01:00,3.1\n2025-10-26 01:30,3.2\n2025-10-26 01:00,3.3\n")
    assert len(rows) == 2 and [row.values["current"] for row in rows] == [3.1, 3.2]
    assert any("log-csv-in-time-clock-jumps" in codes_of(remark) for remark in report.remarks)
    assert any("1 rows with a time that was there already" in remark for remark in report.remarks)


def test_what_a_file_says_begins_with_its_first_reading_and_ends_with_its_last() -> None:
    report, rows = read(PLAIN)
    assert (report.first, report.last) == (rows[0].at, rows[-1].at) and report.first < report.last
    nothing, none = read("time,Line amps (A)\n1970-01-01 00:00,3\n1970-01-02 00:00,3\n")
    assert none == () and (nothing.first, nothing.last, nothing.readings) == (None, None, 0)
