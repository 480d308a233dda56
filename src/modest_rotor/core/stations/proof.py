"""Proof: did it keep its promise? Which sets of readings belong together, and what else changed."""

from __future__ import annotations

from typing import Literal

from pydantic import Field

from modest_rotor.core.entry import Entry
from modest_rotor.core.stations.sheet import Identified, Sheet, asked, chosen, told

MOST_PAIRS = 24


class Pair(Identified):
    """A duty step, and the sets read on it before and after."""

    step: str = told("Duty step", default="", longest=16)
    before: str | None = told("Set before", longest=16)
    after: str | None = told("Set after", longest=16)


class Proof(Sheet):
    """What is said for the proof."""

    pairs: tuple[Pair, ...] = Field(default=(), max_length=MOST_PAIRS)
    same_meters: Literal["yes", "no"] | None = chosen(
        "Same meters before and after?",
        "What one meter is off falls out of a difference; taken as the same where nothing is said.",
    )
    filter_changed: Literal["yes", "no"] | None = chosen("Filter changed meanwhile?")
    damper_changed: Literal["yes", "no"] | None = chosen("Damper or duct changed meanwhile?")
    season_changed: Literal["yes", "no"] | None = chosen("Other season?", "Other air, other load; said, not corrected.")
    cycles_before: Entry | None = asked(
        "cycles_per_hour", "Cycles an hour, before", "measured", "Comfort, apart from energy."
    )
    cycles_after: Entry | None = asked("cycles_per_hour", "Cycles an hour, after", "measured")
    humidity_before: Entry | None = asked("humidity", "Humidity, before", "measured", "Comfort, apart from energy.")
    humidity_after: Entry | None = asked("humidity", "Humidity, after", "measured")
    logged_days: Entry | None = asked("days", "Days logged after", "measured", "By a logger of watts or energy.")
    logged_energy: Entry | None = asked(
        "energy", "Energy logged after", "measured", "Over those days; what the year's steps are held against."
    )
    logged: str | None = told("What the logger said", longest=400)
    notes: str | None = told("What else changed")
    unread: str | None = told(
        "Why the other steps were not read", "Without all steps or a reason, no promise was kept.", longest=400
    )
