"""Times at the edge: kept as UTC like 2026-03-01 14:30, told and taken on the clock of whoever reads or types."""

from __future__ import annotations

import re
from collections.abc import Callable
from datetime import UTC, datetime, tzinfo
from typing import TypeVar
from zoneinfo import ZoneInfo

from pydantic import BaseModel

from modest_rotor.core.errors import Refusal
from modest_rotor.core.say import say
from modest_rotor.core.stations.sheet import with_moments

WHEN = "%Y-%m-%d %H:%M"
LONGEST_ZONE = 64
NAMED = re.compile(r"[A-Za-z0-9_+-]+(?:/[A-Za-z0-9_+-]+){0,2}")
Whole = TypeVar("Whole", bound=BaseModel)


def zone_of(name: str) -> tzinfo:
    """The time zone of a name of the IANA time zone database, for example Europe/Lisbon; UTC for an empty name.

    :raises Refusal: there is none of that name.
    """
    if not name:
        return UTC
    try:
        if NAMED.fullmatch(name):
            return ZoneInfo(name)
    except (OSError, ValueError, KeyError):
        pass  # told below, as any other name that is none
    raise Refusal(say("clock-zone-of", name=name))


def told_in(zone: tzinfo, text: str) -> str:
    """A time as it is kept, on the clock of a zone; what is no time stays as it is."""
    return _moved(text, lambda at: at.replace(tzinfo=UTC).astimezone(zone))


def kept_of(zone: tzinfo, text: str) -> str:
    """A time as typed on the clock of a zone, as it is kept; what is no time stays as it is, to be refused."""
    return _moved(text, lambda at: at.replace(tzinfo=zone).astimezone(UTC))


def on_clock_of(zone: tzinfo, whole: Whole) -> Whole:
    """A job or set with every time in it on the clock of a zone: for what is printed of it, never for what is kept."""
    return with_moments(whole, lambda text: told_in(zone, text))


def _moved(text: str, move: Callable[[datetime], datetime]) -> str:
    try:
        return f"{move(datetime.strptime(text, WHEN)):{WHEN}}"
    except (ValueError, OverflowError):
        return text
