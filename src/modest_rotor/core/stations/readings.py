"""Readings: what is it doing?"""

from __future__ import annotations

import calendar
import re
from enum import StrEnum
from typing import Literal

from pydantic import Field, field_validator

from modest_rotor.core.coded import Coded
from modest_rotor.core.entry import Entry
from modest_rotor.core.errors import ChangeRefused
from modest_rotor.core.phrase import Frozen
from modest_rotor.core.physics.fan import MachineType
from modest_rotor.core.quantities import quantity
from modest_rotor.core.say import say
from modest_rotor.core.stations.sheet import LONGEST_NAME, Identified, asked, chosen, moment, quantity_of, told

WHEN = re.compile(r"(\d{4})-(0[1-9]|1[0-2])-(\d{2}) ([01]\d|2[0-3]):[0-5]\d")


class SpeedTap(Coded):
    """How the motor was switched while the set was read."""

    SINGLE = "single"
    HIGH = "high"
    MEDIUM = "medium"
    LOW = "low"
    REGULATED = "regulated"


FULL_TAPS = (SpeedTap.SINGLE, SpeedTap.HIGH)


class DuctState(Coded):
    """In which condition of damper, filter and duct a set was read."""

    AS_FOUND = "as-found"
    PLATE_OPEN = "plate-open"
    FILTER_OUT = "filter-out"
    DUCT_OFF = "duct-off"
    PANEL_OPEN = "panel-open"
    BLOCKED = "blocked"
    BARE_SHAFT = "bare-shaft"


DISTURBED = (DuctState.DUCT_OFF, DuctState.PANEL_OPEN, DuctState.BLOCKED, DuctState.BARE_SHAFT)
"""States in which a set tells of a test, not of the machine as it runs."""
WITHOUT_SYSTEM = (DuctState.BLOCKED, DuctState.BARE_SHAFT)
"""Those in which nothing at all is moved as it runs."""


class MeasuringPoint(Coded):
    """Where volts, amps and watts were read."""

    SUPPLY = "supply"
    DRIVE_INPUT = "drive-input"
    DRIVE_OUTPUT = "drive-output"
    WINDING = "winding"


class MeterKind(Coded):
    """How the meter makes one figure of a waveform."""

    AVERAGE = "average-responding"
    TRUE_RMS = "true-rms"
    LOW_PASS = "low-pass"


class StaticSpan(Coded):
    """What lies between the two static taps besides the fan."""

    NEITHER = "neither"
    FILTER = "filter"
    COIL = "coil"
    BOTH = "both"


class Stage(StrEnum):
    """On which machine a set was read: as it was found, or set up anew."""

    BEFORE = "before"
    AFTER = "after"


class FlowBy(Coded):
    """How a flow was measured."""

    HOOD = "hood"
    TRAVERSE = "traverse"
    STATION = "station"


class UnreadReason(Coded):
    """Why a reading cannot be taken."""

    NO_ACCESS = "no-access"
    UNSAFE = "unsafe"
    NO_METER = "no-meter"
    ABSENT = "absent"


class Unread(Frozen):
    """A reading of a set that cannot be taken, and why."""

    field: str
    why: UnreadReason


class ReadingSet(Identified):
    """One set of readings, taken at one tap or setting and in one condition of the duct."""

    name: str = told("field-ReadingSet-name", default="", longest=LONGEST_NAME)
    stage: Stage | None = chosen("field-ReadingSet-stage")
    tap: SpeedTap | None = chosen("field-ReadingSet-tap")
    signal: Entry | None = asked("signal", "field-ReadingSet-signal", "measured")
    frequency: Entry | None = asked("frequency", "field-ReadingSet-frequency", "measured")
    duct: DuctState | None = chosen("field-ReadingSet-duct")
    known_good: Literal["yes", "no"] | None = chosen("field-ReadingSet-known_good")
    running: Entry | None = asked("running_time", "field-ReadingSet-running", "measured")
    taken_at: str | None = moment("field-ReadingSet-taken_at", longest=16)
    taken_by: str | None = told("field-ReadingSet-taken_by", longest=LONGEST_NAME)
    note: str | None = told("field-ReadingSet-note", longest=400)

    unread: tuple[Unread, ...] = Field(
        default=(),
        max_length=60,
        title=say("readings-reading-set-unread"),
        description="Readings that cannot be taken, each with why.",
    )

    point: MeasuringPoint | None = chosen("field-ReadingSet-point")
    meter: MeterKind | None = chosen("field-ReadingSet-meter")
    voltage: Entry | None = asked("voltage", "field-ReadingSet-voltage", "measured")
    current: Entry | None = asked("current", "field-ReadingSet-current", "measured")
    input_power: Entry | None = asked("input_power", "field-ReadingSet-input_power", "measured")
    power_factor: Entry | None = asked("read_power_factor", "field-ReadingSet-power_factor", "measured")
    speed: Entry | None = asked("speed", "field-ReadingSet-speed", "measured")
    fan_speed: Entry | None = asked("speed", "field-ReadingSet-fan_speed", "measured")
    start_current: Entry | None = asked("current", "field-ReadingSet-start_current", "measured")
    run_capacitor_volts: Entry | None = asked("capacitor_voltage", "field-ReadingSet-run_capacitor_volts", "measured")
    voltage_12: Entry | None = asked("voltage", "field-ReadingSet-voltage_12", "measured")
    voltage_23: Entry | None = asked("voltage", "field-ReadingSet-voltage_23", "measured")
    voltage_31: Entry | None = asked("voltage", "field-ReadingSet-voltage_31", "measured")
    current_1: Entry | None = asked("current", "field-ReadingSet-current_1", "measured")
    current_2: Entry | None = asked("current", "field-ReadingSet-current_2", "measured")
    current_3: Entry | None = asked("current", "field-ReadingSet-current_3", "measured")
    highest_to_ground: Entry | None = asked("voltage", "field-ReadingSet-highest_to_ground", "measured")
    command_volts: Entry | None = asked("command_voltage", "field-ReadingSet-command_volts", "measured")

    supply_static: Entry | None = asked("supply_static_pressure", "field-ReadingSet-supply_static", "measured")
    return_static: Entry | None = asked("return_static_pressure", "field-ReadingSet-return_static", "measured")
    total_static: Entry | None = asked("pressure", "field-ReadingSet-total_static", "measured")
    statics_hold: StaticSpan | None = chosen("field-ReadingSet-statics_hold")
    filter_drop: Entry | None = asked("pressure", "field-ReadingSet-filter_drop", "measured")
    coil_drop: Entry | None = asked("pressure", "field-ReadingSet-coil_drop", "measured")
    airflow: Entry | None = asked("airflow", "field-ReadingSet-airflow", "measured")
    flow_by: FlowBy | None = chosen("field-ReadingSet-flow_by")
    entering: Entry | None = asked("temperature", "field-ReadingSet-entering", "measured")
    leaving: Entry | None = asked("temperature", "field-ReadingSet-leaving", "measured")
    fuel_heat: Entry | None = asked("heat_input", "field-ReadingSet-fuel_heat", "measured")
    fuel_efficiency: Entry | None = asked("efficiency", "field-ReadingSet-fuel_efficiency", "plate")
    heater_volts: Entry | None = asked("voltage", "field-ReadingSet-heater_volts", "measured")
    heater_amps: Entry | None = asked("current", "field-ReadingSet-heater_amps", "measured")
    coil_is_wet: Literal["yes", "no"] | None = chosen("field-ReadingSet-coil_is_wet")
    in_sight: Literal["yes", "no"] | None = chosen("field-ReadingSet-in_sight")

    suction: Entry | None = asked("gauge_pressure", "field-ReadingSet-suction", "measured")
    discharge: Entry | None = asked("gauge_pressure", "field-ReadingSet-discharge", "measured")
    pump_differential: Entry | None = asked("pump_differential", "field-ReadingSet-pump_differential", "measured")
    water_flow: Entry | None = asked("water_flow", "field-ReadingSet-water_flow", "measured")

    capacitance: Entry | None = asked("capacitance", "field-ReadingSet-capacitance", "measured")
    shell: Entry | None = asked("shell_temperature", "field-ReadingSet-shell", "measured")
    air: Entry | None = asked("temperature", "field-ReadingSet-air", "measured")

    @field_validator("unread", mode="after")
    @classmethod
    def _of_readings(cls, unread: tuple[Unread, ...]) -> tuple[Unread, ...]:
        names = [one.field for one in unread]
        strange = [name for name in names if name not in cls.model_fields or quantity_of(cls, name) is None]
        if strange:
            raise ValueError(say("readings-no-such-reading", name=strange[0][:40]))
        if len(names) != len(set(names)):
            raise ValueError(say("readings-unread-twice"))
        return unread

    @field_validator("frequency", mode="after")
    @classmethod
    def _one_frequency(cls, entry: Entry | None) -> Entry | None:
        if entry is not None and entry.low is not None:
            raise ValueError(say("readings-two-frequencies"))
        return entry

    @field_validator("taken_at", mode="after")
    @classmethod
    def _a_time(cls, text: str | None) -> str | None:
        match = WHEN.fullmatch(text) if text else None
        if text and not (match and 1 <= int(match[3]) <= calendar.monthrange(int(match[1]), int(match[2]))[1]):
            raise ValueError(say("readings-no-time", text=text))
        return text or None

    @property
    def on_full_tap(self) -> bool:
        """Whether plate speed and amps apply; a set with no tap noted is taken as full, and says so."""
        return self.tap is None or self.tap in FULL_TAPS

    @property
    def out_of_reach(self) -> frozenset[str]:
        """Readings that cannot be taken; one that was taken all the same is none of them."""
        return frozenset(one.field for one in self.unread if getattr(self, one.field) is None)

    @property
    def is_good(self) -> bool:
        """Whether it was read while nothing was wrong."""
        return self.known_good == "yes"

    def flow(self, machine_type: MachineType | None) -> Entry | None:
        """The measured flow of the medium that the wheel moves."""
        return self.water_flow if machine_type is MachineType.PUMP else self.airflow

    @property
    def is_empty(self) -> bool:
        """Whether nothing was read yet."""
        return all(not isinstance(getattr(self, field), Entry) for field in type(self).model_fields)


def refuse_future(reading: ReadingSet, now: str) -> None:
    """Refuse a set that says it was read later than now (written like 2026-03-01 14:30).

    :raises ChangeRefused: it does.
    """
    if reading.taken_at and reading.taken_at > now:
        raise ChangeRefused(say("readings-refuse-future"))


def title_of(field: str) -> str:
    """What a reading is called within a sentence. :param field: of a set."""
    name = quantity_of(ReadingSet, field)
    return quantity(name).label if name else ReadingSet.model_fields[field].title or field
