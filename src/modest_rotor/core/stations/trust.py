"""Which electrical readings speak of the motor: where they were read, and whether the meter could read them there."""

from __future__ import annotations

import math
from dataclasses import dataclass

from modest_rotor.core.entry import Entry
from modest_rotor.core.identify.meters import RECTANGULAR
from modest_rotor.core.identify.motor import MotorKind, PlateFacts
from modest_rotor.core.stations.readings import MeasuringPoint, MeterKind, ReadingSet, SpeedTap

ELECTRICAL = ("voltage", "current", "input_power", "power_factor")
LINE_VOLTS = ("voltage_12", "voltage_23", "voltage_31")
LINE_AMPS = ("current_1", "current_2", "current_3")
THREE_METERS = 0.015
"""Standard deviation that volts and amps add to a power factor's, as a share of the watts."""
PLACE_OF_DRIVE = "read at the drive's input: it holds the drive's own loss and is not the motor's"
CHOPPED = (MeasuringPoint.DRIVE_OUTPUT, MeasuringPoint.WINDING)
NEEDS_TRUE = "an average-responding meter cannot read this waveform; it is kept, not worked with"
NEEDS_FILTER = "volts of a chopped waveform need a low-pass meter; they are kept, not worked with"
NEEDS_ANALYSER = "watts of a chopped waveform need a meter made for it; they are kept, not worked with"


@dataclass(frozen=True)
class Withheld:
    """A reading that is kept but not worked with, and why."""

    field: str
    reason: str


def on_a_drive(reading: ReadingSet) -> bool:
    """Whether a drive stands between supply and motor: its hertz and volts are the motor's, not the plate's."""
    return reading.point in (MeasuringPoint.DRIVE_INPUT, MeasuringPoint.DRIVE_OUTPUT)


def believed(reading: ReadingSet, plate: PlateFacts) -> tuple[ReadingSet, tuple[Withheld, ...]]:
    """A set as it is worked with, and the readings that are kept but left out.

    Electrical readings that do not speak of the motor are left out, each with its reason. Three line volts or amps stand for
    one where it was not read; volts × amps × a power factor that a meter showed stands for watts on a plain supply. A
    sinusoidal supply is taken where no point was said and the motor is not electronic. Source: how meters make one figure of
    a waveform, IEC 61000-4-30 and common practice; definition of power.
    """
    filled = reading.model_copy(update=_means(reading))
    reasons = {field: _reason(filled, plate, field) for field in ELECTRICAL if getattr(filled, field) is not None}
    withheld = tuple(Withheld(field, reason) for field, reason in reasons.items() if reason)
    kept = filled.model_copy(update={one.field: None for one in withheld})
    return kept.model_copy(update=_watts(kept, plate)), withheld


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
