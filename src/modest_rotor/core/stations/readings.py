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
from modest_rotor.core.physics.fan import Wheel
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

    name: str = told("What was this set?", "For example: as found, new filter.", default="", longest=LONGEST_NAME)
    stage: Stage | None = chosen("Before or after?", "After: with the new motor in, or the machine set up anew.")
    tap: SpeedTap | None = chosen("Speed tap", "Which tap or setting was energised.")
    signal: Entry | None = asked(
        "signal", "Command", "measured", "Share of the command's range; 5 V of 0-10 V is 50 %."
    )
    frequency: Entry | None = asked("frequency", "Hertz at the motor", "measured", "Where it is not the plate's.")
    duct: DuctState | None = chosen("Duct", "Damper, filter and panels while the set was read.")
    known_good: Literal["yes", "no"] | None = chosen(
        "Was it right then?", "A set from when nothing was wrong is the baseline of the ranking of causes."
    )
    running: Entry | None = asked("running_time", "Running for", "measured", "A cold motor reads other amps and speed.")
    taken_at: str | None = moment("When", "Year-month-day hour:minute, for example 2026-03-01 14:30.", longest=16)
    taken_by: str | None = told("By whom", longest=LONGEST_NAME)
    note: str | None = told("Note", longest=400)

    unread: tuple[Unread, ...] = Field(
        default=(), max_length=60, title="Cannot be read", description="Readings that cannot be taken, each with why."
    )

    point: MeasuringPoint | None = chosen("Electrical readings at", "A drive's input is not the motor.")
    meter: MeterKind | None = chosen("Meter", "What it can read depends on the waveform.")
    voltage: Entry | None = asked("voltage", "Supply", "measured", "Volts at the motor, running.")
    current: Entry | None = asked("current", "Line amps", "measured", "Clamp on one line conductor alone.")
    input_power: Entry | None = asked(
        "input_power", "Input power", "measured", "Only from a true wattmeter; volts × amps is not watts."
    )
    power_factor: Entry | None = asked("read_power_factor", "Power factor", "measured", "Only where a meter showed it.")
    speed: Entry | None = asked("speed", "Speed", "measured", "Tachometer at the motor's shaft.")
    fan_speed: Entry | None = asked("speed", "Fan speed", "measured", "Behind a belt.")
    start_current: Entry | None = asked(
        "current", "Auxiliary-winding amps", "measured", "Clamp on the lead between capacitor and motor."
    )
    run_capacitor_volts: Entry | None = asked(
        "capacitor_voltage", "Volts across the capacitor", "measured", "Its own terminals, running; above line volts."
    )
    voltage_12: Entry | None = asked("voltage", "Volts 1-2", "measured", "Line to line.")
    voltage_23: Entry | None = asked("voltage", "Volts 2-3", "measured", "Line to line.")
    voltage_31: Entry | None = asked("voltage", "Volts 3-1", "measured", "Line to line.")
    current_1: Entry | None = asked("current", "Amps 1", "measured", "One conductor in the clamp.")
    current_2: Entry | None = asked("current", "Amps 2", "measured", "One conductor in the clamp.")
    current_3: Entry | None = asked("current", "Amps 3", "measured", "One conductor in the clamp.")
    highest_to_ground: Entry | None = asked(
        "voltage", "Highest leg to ground", "measured", "208 V on one leg of a 240 V delta is a high leg."
    )
    command_volts: Entry | None = asked("command_voltage", "Command volts", "measured", "24 V tap to common, called.")

    supply_static: Entry | None = asked(
        "supply_static_pressure", "Static, supply", "measured", "After the fan, against the room; 0 if it blows free."
    )
    return_static: Entry | None = asked(
        "return_static_pressure", "Static, return", "measured", "Before the fan: below the room, so with a minus."
    )
    total_static: Entry | None = asked(
        "pressure", "Total external static", "measured", "Both hoses on one manometer: total external static."
    )
    statics_hold: StaticSpan | None = chosen("Between the taps", "What the two taps have between them besides the fan.")
    filter_drop: Entry | None = asked("pressure", "Across the filter", "measured", "Both sides of it.")
    coil_drop: Entry | None = asked("pressure", "Across the coil", "measured", "Both sides of it.")
    airflow: Entry | None = asked(
        "airflow", "Airflow", "measured", "Only if it was measured: traverse, hood or flow station."
    )
    flow_by: FlowBy | None = chosen("Measured by", "Hood, traverse or flow station.")
    entering: Entry | None = asked("temperature", "Air entering", "measured", "Before heater or coil.")
    leaving: Entry | None = asked(
        "temperature", "Air leaving", "measured", "Mixed, out of sight of the heat exchanger."
    )
    fuel_heat: Entry | None = asked("heat_input", "Fuel burned", "measured", "Clocked at the meter, as heat.")
    fuel_efficiency: Entry | None = asked("efficiency", "Its efficiency", "plate", "Off the appliance's plate.")
    heater_volts: Entry | None = asked("voltage", "Heater volts", "measured", "At the electric heater.")
    heater_amps: Entry | None = asked("current", "Heater amps", "measured", "Single-phase, one conductor.")
    coil_is_wet: Literal["yes", "no"] | None = chosen(
        "Is the coil wet?", "A wet coil takes heat that no thermometer shows."
    )
    in_sight: Literal["yes", "no"] | None = chosen(
        "Does the thermometer see the heater?", "Radiant heat makes it read high."
    )

    suction: Entry | None = asked("gauge_pressure", "Suction", "measured", "Gauge; below the room with a minus.")
    discharge: Entry | None = asked("gauge_pressure", "Discharge", "measured", "Gauge, at the same height.")
    pump_differential: Entry | None = asked(
        "pump_differential", "Pump differential", "measured", "Discharge less suction, gauges at one height."
    )
    water_flow: Entry | None = asked("water_flow", "Water flow", "measured", "Only if it was measured.")

    capacitance: Entry | None = asked(
        "capacitance", "Capacitor, out of circuit", "measured", "Discharged, both leads off, on a capacitance meter."
    )
    shell: Entry | None = asked("shell_temperature", "Motor shell", "measured", "After half an hour of running.")
    air: Entry | None = asked("temperature", "Air at the motor", "measured", "Beside it.")

    @field_validator("unread", mode="after")
    @classmethod
    def _of_readings(cls, unread: tuple[Unread, ...]) -> tuple[Unread, ...]:
        names = [one.field for one in unread]
        strange = [name for name in names if name not in cls.model_fields or quantity_of(cls, name) is None]
        if strange:
            raise ValueError(f"a set has no reading called “{strange[0][:40]}”")
        if len(names) != len(set(names)):
            raise ValueError("a reading is said twice to be out of reach; say it once")
        return unread

    @field_validator("frequency", mode="after")
    @classmethod
    def _one_frequency(cls, entry: Entry | None) -> Entry | None:
        if entry is not None and entry.low is not None:
            raise ValueError("one set is one condition; two frequencies need two sets")
        return entry

    @field_validator("taken_at", mode="after")
    @classmethod
    def _a_time(cls, text: str | None) -> str | None:
        match = WHEN.fullmatch(text) if text else None
        if text and not (match and 1 <= int(match[3]) <= calendar.monthrange(int(match[1]), int(match[2]))[1]):
            raise ValueError(f"“{text}” is no time; type it as 2026-03-01 14:30")
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

    def flow(self, wheel: Wheel | None) -> Entry | None:
        """The measured flow of the medium that the wheel moves."""
        return self.water_flow if wheel is Wheel.PUMP else self.airflow

    @property
    def is_empty(self) -> bool:
        """Whether nothing was read yet."""
        return all(not isinstance(getattr(self, field), Entry) for field in type(self).model_fields)


def refuse_future(reading: ReadingSet, now: str) -> None:
    """Refuse a set that says it was read later than now (written like 2026-03-01 14:30).

    :raises ChangeRefused: it does.
    """
    if reading.taken_at and reading.taken_at > now:
        raise ChangeRefused(
            "That time lies in the future. The set is kept as it was: correct the date, or the clock it was read from."
        )
