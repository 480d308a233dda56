"""Proof: did it keep its promise? Which sets of readings belong together, and what else changed."""

from __future__ import annotations

from typing import Literal

from pydantic import Field

from modest_rotor.core.entry import Entry
from modest_rotor.core.stations.sheet import Identified, Sheet, asked, chosen, told

MOST_PAIRS = 24


class Pair(Identified):
    """A duty step, and the sets read on it before and after."""

    step: str = told("field-Pair-step", default="", longest=16)
    before: str | None = told("field-Pair-before", longest=16)
    after: str | None = told("field-Pair-after", longest=16)


class Proof(Sheet):
    """What is said for the proof."""

    pairs: tuple[Pair, ...] = Field(default=(), max_length=MOST_PAIRS)
    same_meters: Literal["yes", "no"] | None = chosen("field-Proof-same_meters")
    filter_changed: Literal["yes", "no"] | None = chosen("field-Proof-filter_changed")
    damper_changed: Literal["yes", "no"] | None = chosen("field-Proof-damper_changed")
    season_changed: Literal["yes", "no"] | None = chosen("field-Proof-season_changed")
    cycles_before: Entry | None = asked("cycles_per_hour", "field-Proof-cycles_before", "measured")
    cycles_after: Entry | None = asked("cycles_per_hour", "field-Proof-cycles_after", "measured")
    humidity_before: Entry | None = asked("humidity", "field-Proof-humidity_before", "measured")
    humidity_after: Entry | None = asked("humidity", "field-Proof-humidity_after", "measured")
    logged_days: Entry | None = asked("days", "field-Proof-logged_days", "measured")
    logged_energy: Entry | None = asked("energy", "field-Proof-logged_energy", "measured")
    logged: str | None = told("field-Proof-logged", longest=400)
    notes: str | None = told("field-Proof-notes")
    unread: str | None = told("field-Proof-unread", longest=400)
