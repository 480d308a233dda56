"""Next visits as a calendar file that any calendar takes in."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass
from datetime import date, datetime, timedelta

from icalendar import Calendar, Event

from modest_rotor.core.phrase import Phrase
from modest_rotor.core.quantities import UnitSystem
from modest_rotor.core.say import Dated, say, words_for
from modest_rotor.formats.text import sentence

MAKER = "-//Modest Rotor//next visits//EN"


@dataclass(frozen=True)
class DueVisit:
    """A machine that is due on a day; ``link`` is its log's page."""

    machine_id: int
    machine: str
    site: str
    due: date
    why: Phrase
    link: str


def write_visits(visits: Iterable[DueVisit], now: datetime, units: UnitSystem, today: date) -> bytes:
    """An iCalendar file with one event of a whole day to a visit; one that is overdue stands on today.

    :param now: when the file is written; it must be aware of its zone.
    :param today: the day it then is on the clock of whoever reads it.

    The same machine keeps its event's name, so that a calendar that takes the file in again moves what it has.
    Source: RFC 5545.
    """
    calendar = Calendar()
    calendar.add("prodid", MAKER)
    calendar.add("version", "2.0")
    for visit in visits:
        day = max(visit.due, today)
        event = Event()
        event.add("uid", f"visit-of-machine-{visit.machine_id}@modest-rotor")
        event.add("dtstamp", now)
        event.add("dtstart", day)
        event.add("dtend", day + timedelta(days=1))
        overdue = (
            words_for(say("visits-ics-write-visits", due=Dated(visit.due, "dd MMMM y"))) if visit.due < today else ""
        )
        event.add("summary", f"{visit.machine}{overdue}")
        event.add("location", visit.site)
        event.add("description", f"{sentence(visit.why, units)}\n{visit.link}")
        event.add("transp", "TRANSPARENT")
        calendar.add_component(event)
    return bytes(calendar.to_ical())
