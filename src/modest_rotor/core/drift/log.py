"""A machine's log as numbers: readings over time, service events, and the state that both are held against."""

from __future__ import annotations

import re
import unicodedata
from dataclasses import dataclass, field
from enum import StrEnum

import numpy as np

from modest_rotor.core.errors import QuantityRefused
from modest_rotor.core.estimate import Array
from modest_rotor.core.identify.perturb import Measurand
from modest_rotor.core.phrase import Frozen
from modest_rotor.core.say import say
from modest_rotor.core.tables import read_table


class EventKind(StrEnum):
    """What is done on a machine in service."""

    FILTER = "filter"
    BELT = "belt"
    CAPACITOR = "capacitor"
    BEARINGS = "bearings"
    CLEANING = "cleaning"
    SETTING = "setting"
    OTHER = "other"


LOGGED = {
    "voltage": "voltage",
    "current": "current",
    "input_power": "input_power",
    "speed": "speed",
    "static": "pressure",
    "airflow": "airflow",
    "water_flow": "water_flow",
    "differential": "pump_differential",
    "air": "temperature",
    "capacitance": "capacitance",
}
"""What a reading of the log can hold, each with its quantity."""
MEASURAND_OF = {
    "voltage": Measurand.VOLTS,
    "current": Measurand.AMPS,
    "input_power": Measurand.WATTS,
    "speed": Measurand.SPEED,
    "static": Measurand.PRESSURE,
    "differential": Measurand.PRESSURE,
    "airflow": Measurand.FLOW,
    "water_flow": Measurand.FLOW,
}


DAYS_OF = {"day": 1.0, "week": 7.0, "month": 365.25 / 12, "year": 365.25}
SPANS = {
    **{f"{name}{plural}": name for name in DAYS_OF for plural in ("", "s")},
    **dict.fromkeys(("dia", "dias"), "day"),
    **dict.fromkeys(("semana", "semanas"), "week"),
    **dict.fromkeys(("mes", "meses"), "month"),
    **dict.fromkeys(("ano", "anos"), "year"),
}
"""Spans of time as they are typed in any of the languages, without accents."""
LONGEST_INTERVAL_D = 20 * 365.25


@dataclass(frozen=True)
class Event:
    """A service event: when in days since 1970, and what."""

    day: float
    kind: EventKind
    note: str = ""


@dataclass(frozen=True)
class Log:
    """Readings in the order of their times; ``days`` since 1970 in UTC, columns in SI with NaN where nothing was read.

    :param settings: on which tap, signal or hertz each was read, as a word. :param sources: who or what read it.
    """

    days: Array
    settings: tuple[str, ...]
    sources: tuple[str, ...]
    columns: dict[str, Array] = field(default_factory=dict)
    events: tuple[Event, ...] = ()

    def __len__(self) -> int:
        return len(self.days)

    def chosen(self, here: np.ndarray) -> Log:
        """The readings at some places."""
        places = np.flatnonzero(here)
        return Log(
            self.days[here],
            tuple(self.settings[place] for place in places),
            tuple(self.sources[place] for place in places),
            {name: column[here] for name, column in self.columns.items()},
            self.events,
        )


class Reference(Frozen):
    """The state at sign-off on one setting: values in SI, and when it was signed, days since 1970."""

    setting: str
    values: dict[str, float]
    uncertainties: dict[str, float]
    day: float | None = None


def interval_days(typed: str) -> int | None:
    """Days until a service is due again, from text as it is typed: ``6 months``, ``90 días``; a bare number is months.

    :returns: ``None`` where nothing is typed.
    :raises QuantityRefused: no such span, or one outside a day to twenty years.
    """
    text = re.sub(r"[\u0300-\u036f]", "", unicodedata.normalize("NFD", typed.strip().lower()))
    if not text:
        return None
    found = re.fullmatch(r"(\d+(?:[.,]\d+)?)\s*([a-z]*)", text, re.ASCII)
    span = SPANS.get(found[2] or "month") if found else None
    days = float(found[1].replace(",", ".")) * DAYS_OF[span] if found and span else 0.0
    if not 0.5 < days <= LONGEST_INTERVAL_D:
        raise QuantityRefused(say("drift-log-interval-days", strip=typed.strip()[:40]))
    return round(days)


def resets(kind: EventKind) -> str:
    """What of the log begins anew after an event: ``air``, ``capacitor`` or nothing."""
    return next(row["resets"] for row in read_table("service_events") if row["event"] == kind)


def last_reset(events: tuple[Event, ...], of: str) -> float | None:
    """The day of the last event that lets a part of the log begin anew.

    :param events: services with their days since 1970. :param of: the part of the log, as table ``service_events`` calls
    it. Source: that table, common practice.
    """
    return max((event.day for event in events if resets(event.kind) == of), default=None)
