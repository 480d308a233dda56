"""Times on the reader's clock, against offsets that the IANA time zone database publishes (2026 rules, from memory)."""

from __future__ import annotations

import pytest
from tools.generate import fields_of_a_job

from modest_rotor.core.errors import Refusal
from modest_rotor.core.job import Job
from modest_rotor.formats.clock import kept_of, on_clock_of, told_in, zone_of
from tests.jobs import KRAUSE, changed
from tests.said import refused_with

KNOWN = (
    ("Europe/Lisbon", "2026-01-15 12:00", "2026-01-15 12:00"),  # WET, UTC
    ("Europe/Lisbon", "2026-07-15 12:00", "2026-07-15 13:00"),  # WEST, UTC+1
    ("America/Los_Angeles", "2026-03-02 01:30", "2026-03-01 17:30"),  # PST, UTC-8: another day
    ("Asia/Kolkata", "2026-03-01 14:30", "2026-03-01 20:00"),  # UTC+5:30
    ("Australia/Adelaide", "2026-12-31 18:00", "2027-01-01 04:30"),  # ACDT, UTC+10:30: another year
)


@pytest.mark.parametrize(("zone", "kept", "told"), KNOWN)
def test_a_time_is_told_on_the_clock_of_its_reader(zone: str, kept: str, told: str) -> None:
    assert told_in(zone_of(zone), kept) == told
    assert kept_of(zone_of(zone), told) == kept


@pytest.mark.parametrize("text", ["", "yesterday", "2026-02-30 10:00", "2026-03-01", "0001-01-01 00:00"])
def test_what_is_no_time_stays_as_it_was_typed(text: str) -> None:
    assert kept_of(zone_of("Asia/Kolkata"), text) == text
    if not text.startswith("0001"):
        assert told_in(zone_of("Asia/Kolkata"), text) == text


@pytest.mark.parametrize(
    "name", ["Nowhere/Land", "../etc/passwd", "/etc/localtime", "Europe/Lisbon\0", "Ünder/Weg", "Europe"]
)
def test_a_name_that_is_no_zone_is_refused(name: str) -> None:
    with refused_with(Refusal, "clock-zone-of"):
        zone_of(name)


def test_every_time_of_a_job_is_told_and_nothing_else() -> None:
    one = job(
        readings=[{"id": "s1", "voltage": "230 V", "taken_at": "2026-03-02 01:30", "note": "2026-03-02 01:30"}],
        marks=[{"id": "m1", "finding": "x", "state": "fixed", "at": "2026-03-02 02:00", "who": "A"}],
        setup={"signs": [{"id": "g1", "step": "isolate", "state": "done", "who": "A", "at": "2026-03-02 03:00"}]},
    )
    told = on_clock_of(zone_of("America/Los_Angeles"), one).document
    assert told.readings[0].taken_at == "2026-03-01 17:30"
    assert told.readings[0].note == "2026-03-02 01:30", "words are nobody's clock"
    assert (told.marks[0].at, told.setup.signs[0].at) == ("2026-03-01 18:00", "2026-03-01 19:00")
    assert on_clock_of(zone_of(""), one) == one


def job(**said: object) -> Job:
    return Job.model_validate(changed(KRAUSE, **said))


def test_every_field_that_is_headed_when_takes_a_time() -> None:
    whens = {path for path, facts in fields_of_a_job().items() if facts["label"] == "When"}
    times = {path for path, facts in fields_of_a_job().items() if facts.get("time")}
    assert whens == times and len(times) >= 8
