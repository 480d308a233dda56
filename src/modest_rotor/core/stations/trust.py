"""Which electrical readings speak of the motor: where they were read, and whether the meter could read them there."""

from __future__ import annotations

import math
from dataclasses import dataclass
from enum import StrEnum

from modest_rotor.core.entry import Entry
from modest_rotor.core.identify.meters import RECTANGULAR
from modest_rotor.core.identify.motor import MotorKind, PlateFacts
from modest_rotor.core.say import say
from modest_rotor.core.stations.readings import MeasuringPoint, MeterKind, ReadingSet, SpeedTap

ELECTRICAL = ("voltage", "current", "input_power", "power_factor", "run_capacitor_volts")
LINE_VOLTS = ("voltage_12", "voltage_23", "voltage_31")
LINE_AMPS = ("current_1", "current_2", "current_3")
THREE_METERS = 0.015
"""Standard deviation that volts and amps add to a power factor's, as a share of the watts."""
NO_WATTS_WITH_AMPS = say("trust-no-watts-with-amps")
PLACE_OF_DRIVE = say("trust-place-of-drive")
CHOPPED = (MeasuringPoint.DRIVE_OUTPUT, MeasuringPoint.WINDING)
NEEDS_TRUE = say("trust-needs-true")
NO_CAPACITOR = say("trust-no-capacitor")
NEEDS_FILTER = say("trust-needs-filter")
NEEDS_ANALYSER = say("trust-needs-analyser")


STANDS_BELOW_RPM = 5.0
"""Below this a tachometer counts a wheel that stands."""
NO_AMPS_A, NO_WATTS_W = 0.005, 0.1
"""Below these a motor takes nothing: less than the smallest fan motor of a building, and about what meters show of nothing.
Our judgement, no source."""
OF_A_RUNNING_MACHINE = (
    "speed", "fan_speed", "current", "current_1", "current_2", "current_3", "input_power", "power_factor", "start_current",
    "run_capacitor_volts", "supply_static", "return_static", "total_static", "pump_differential", "suction", "discharge",
    "airflow", "water_flow",
)  # fmt: skip


class Standing(StrEnum):
    """Why a set says nothing of a running machine."""

    STALLED = "stalled"
    OFF = "off"
    WINDMILLING = "windmilling"
    STANDS = "stands"


NOT_RUNNING = {
    Standing.STALLED: say("trust-not-running-motor-stood"),
    Standing.OFF: say("trust-not-running-motor-took"),
    Standing.WINDMILLING: say("trust-not-running-wheel-turned"),
    Standing.STANDS: say("trust-not-running-motor-stood-still"),
}


@dataclass(frozen=True)
class Disbelieved:
    """A reading that is kept but not worked with, and why."""

    field: str
    reason: str


def on_a_drive(reading: ReadingSet) -> bool:
    """Whether a drive stands between supply and motor: its hertz and volts are the motor's, not the plate's."""
    return reading.point in (MeasuringPoint.DRIVE_INPUT, MeasuringPoint.DRIVE_OUTPUT)


def believed(reading: ReadingSet, plate: PlateFacts) -> tuple[ReadingSet, tuple[Disbelieved, ...]]:
    """A set as it is worked with, and the readings that are kept but left out.

    Electrical readings that do not speak of the motor are left out, each with its reason. Three line volts or amps stand for
    one where it was not read; volts × amps × a power factor that a meter showed stands for watts on a plain supply. A
    sinusoidal supply is taken where no point was said and the motor is not electronic. Source: how meters make one figure of
    a waveform, IEC 61000-4-30 and common practice; definition of power.
    """
    filled = reading.model_copy(update=_means(reading))
    state = standing_of(filled)
    if state is not None:
        there = [field for field in OF_A_RUNNING_MACHINE if getattr(filled, field) is not None]
        return filled.model_copy(update=dict.fromkeys(there)), tuple(
            Disbelieved(field, NOT_RUNNING[state]) for field in there
        )
    reasons = {field: _reason(filled, plate, field) for field in ELECTRICAL if getattr(filled, field) is not None}
    withheld = tuple(Disbelieved(field, reason) for field, reason in reasons.items() if reason)
    kept = filled.model_copy(update={one.field: None for one in withheld})
    return kept.model_copy(update=_watts(kept, plate)), withheld


def standing_of(reading: ReadingSet) -> Standing | None:
    """Whether the machine of a set stood, was off or was driven by air or water; nothing where it ran or cannot be told.

    A speed of zero is an ordinary reading of a seized motor, watts or amps of zero one of a motor that is off. Common practice.
    """
    speeds = [entry.si for entry in (reading.speed, reading.fan_speed) if entry is not None]
    takes = _takes(reading.model_copy(update=_means(reading)))
    if speeds and min(speeds) < STANDS_BELOW_RPM:
        return Standing.STANDS if takes is None else Standing.STALLED if takes else Standing.OFF
    if takes is False:
        return Standing.WINDMILLING if speeds else Standing.OFF
    return None


def _takes(reading: ReadingSet) -> bool | None:
    """Whether the motor takes anything, by watts or else by amps; nothing where neither was read."""
    if reading.input_power is not None and reading.input_power.si >= NO_WATTS_W:
        return True
    if reading.current is not None:
        return reading.current.si >= NO_AMPS_A
    return None if reading.input_power is None else False


def _means(reading: ReadingSet) -> dict[str, Entry]:
    found = {}
    for field, three in (("voltage", LINE_VOLTS), ("current", LINE_AMPS)):
        entries = [entry for name in three if (entry := getattr(reading, name)) is not None]
        if getattr(reading, field) is None and len(entries) == len(three):
            mean = sum(entry.si for entry in entries) / len(entries)
            found[field] = Entry(typed="mean of three", unit=entries[0].unit, si=mean, resolution=entries[0].resolution)
    return found


def _watts(reading: ReadingSet, plate: PlateFacts) -> dict[str, Entry]:
    volts, amps, factor = reading.voltage, reading.current, reading.power_factor
    if reading.input_power is not None or not (volts and amps and factor):
        return {}
    straight = reading.point in (None, MeasuringPoint.SUPPLY) and reading.tap is not SpeedTap.REGULATED
    if not straight or plate.is_electronic or plate.kind is None:
        return {}
    watts = volts.si * amps.si * factor.si * (math.sqrt(3) if plate.kind is MotorKind.THREE_PHASE else 1)
    return {"input_power": Entry(typed="V × A × λ", unit="W", si=watts, resolution=THREE_METERS * RECTANGULAR * watts)}


def _reason(reading: ReadingSet, plate: PlateFacts, field: str) -> str | None:
    if field == "input_power" and reading.input_power is not None and reading.input_power.si < NO_WATTS_W:
        return NO_WATTS_WITH_AMPS
    if field == "run_capacitor_volts":
        return None if plate.kind in (None, MotorKind.SPLIT_CAPACITOR) and not plate.is_electronic else NO_CAPACITOR
    if reading.point is MeasuringPoint.DRIVE_INPUT:
        return PLACE_OF_DRIVE
    if reading.point in CHOPPED:
        return _on_chopped(reading.meter, field)
    distorted = plate.is_electronic and field in ("current", "power_factor")
    return NEEDS_TRUE if distorted and reading.meter is MeterKind.AVERAGE else None


def _on_chopped(meter: MeterKind | None, field: str) -> str | None:
    if meter is MeterKind.LOW_PASS:
        return None
    if field == "current":
        return None if meter is MeterKind.TRUE_RMS else NEEDS_TRUE
    return NEEDS_FILTER if field == "voltage" else NEEDS_ANALYSER
