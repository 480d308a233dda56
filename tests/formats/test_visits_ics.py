"""The calendar file of next visits, by the lines that RFC 5545 asks for."""

from __future__ import annotations

import re
from datetime import UTC, date, datetime, timedelta

from modest_rotor.core.phrase import figure
from modest_rotor.formats.visits_ics import DueVisit, write_visits
from tests.said import says

NOW = datetime(2026, 11, 29, 10, 0, tzinfo=UTC)
TODAY = NOW.date()


def visit(**changes: object) -> DueVisit:
    told = {
        "machine_id": 7,
        "machine": "Hall fan; loft, north",
        "site": "Old Net Loft",
        "due": date(2026, 12, 31),
        "why": ("filter at ", figure("pressure", 250.0), " across, which is more than it was"),
        "link": "http://127.0.0.1:8000/jobs/3/log",
    }
    return DueVisit(**{**told, **changes})  # type: ignore[arg-type]


def lines(*visits: DueVisit, units: str = "si", today: date = TODAY) -> list[str]:
    """The file's lines, unfolded. Source: RFC 5545, 3.1: lines end in CRLF and are at most 75 octets long."""
    content = write_visits(visits, NOW, units, today)  # type: ignore[arg-type]
    assert content.endswith(b"\r\n") and b"\n" not in content.replace(b"\r\n", b"")
    assert max(len(line) for line in content.split(b"\r\n")) <= 75
    return re.sub(r"\r\n[ \t]", "", content.decode()).split("\r\n")[:-1]


def test_a_visit_is_an_event_of_one_whole_day() -> None:
    told = lines(visit())
    assert told[0] == "BEGIN:VCALENDAR" and told[-1] == "END:VCALENDAR" and "VERSION:2.0" in told
    assert "DTSTART;VALUE=DATE:20261231" in told and "DTEND;VALUE=DATE:20270101" in told
    assert "DTSTAMP:20261129T100000Z" in told
    assert r"SUMMARY:Hall fan\; loft\, north" in told  # 3.3.11: semicolon and comma are escaped
    assert "LOCATION:Old Net Loft" in told
    said = next(one for one in told if one.startswith("DESCRIPTION"))
    assert "filter at 250 Pa across" in said and said.endswith(r"\nhttp://127.0.0.1:8000/jobs/3/log")


def test_the_reader_s_units_are_written() -> None:
    said = next(one for one in lines(visit(), units="ip") if one.startswith("DESCRIPTION"))
    assert "filter at 1.004 in. w.g." in said  # 250 Pa, and 249.089 Pa to the inch


def test_what_is_overdue_stands_on_today_and_says_since_when() -> None:
    told = lines(visit(due=date(2026, 3, 2)))
    assert "DTSTART;VALUE=DATE:20261129" in told
    assert any(one.startswith("SUMMARY") and one.endswith("due since 02 March 2026") for one in told)


def test_today_is_the_reader_s_and_the_stamp_is_not() -> None:
    """Behind UTC it is still yesterday, ahead of it already tomorrow: a visit due on that day is not overdue."""
    for today in (date(2026, 11, 28), date(2026, 11, 30)):
        due, late = lines(visit(due=today), today=today), lines(visit(due=today - timedelta(days=1)), today=today)
        assert f"DTSTART;VALUE=DATE:{today:%Y%m%d}" in due and f"DTSTART;VALUE=DATE:{today:%Y%m%d}" in late
        assert not any(says("visits-ics-write-visits", one) for one in due) and any(
            says("visits-ics-write-visits", one) for one in late
        )
        assert "DTSTAMP:20261129T100000Z" in due


def test_a_machine_keeps_its_event_s_name() -> None:
    before, after = (
        [one for one in lines(visit(due=due), visit(machine_id=8)) if one.startswith("UID")]
        for due in (date(2026, 12, 1), date(2027, 4, 1))
    )
    assert before == after and len(set(before)) == 2


def test_no_visit_is_still_a_calendar() -> None:
    assert sorted(one.split(":")[0] for one in lines()) == ["BEGIN", "END", "PRODID", "VERSION"]
