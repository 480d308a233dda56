"""Readings: what is it doing?"""

from __future__ import annotations

from enum import StrEnum

from modest_rotor.core.entry import Entry
from modest_rotor.core.physics.fan import Wheel
from modest_rotor.core.stations.sheet import LONGEST_NAME, Identified, asked, chosen, told


class SpeedTap(StrEnum):
    """How the motor was switched while the set was read."""

    SINGLE = "one speed"
    HIGH = "high tap"
    MEDIUM = "medium tap"
    LOW = "low tap"
    REGULATED = "on a regulator"


FULL_TAPS = (SpeedTap.SINGLE, SpeedTap.HIGH)


class ReadingSet(Identified):
    """One set of readings, taken at one tap or setting and in one condition of the duct."""

    name: str = told("What was this set?", "For example: as found, new filter.", default="", longest=LONGEST_NAME)
    tap: SpeedTap | None = chosen("Speed tap", "Which tap or setting was energised.")
    voltage: Entry | None = asked("voltage", "Supply", "measured", "Volts at the motor, running.")
    current: Entry | None = asked("current", "Line amps", "measured", "Clamp on one line conductor alone.")
    input_power: Entry | None = asked(
        "input_power", "Input power", "measured", "Only from a true wattmeter; volts × amps is not watts."
    )
    speed: Entry | None = asked("speed", "Speed", "measured", "Tachometer at the shaft or wheel.")
    supply_static: Entry | None = asked(
        "supply_static_pressure", "Static, supply", "measured", "After the fan, against the room; 0 if it blows free."
    )
    return_static: Entry | None = asked(
        "return_static_pressure", "Static, return", "measured", "Before the fan: below the room, so with a minus."
    )
    pump_differential: Entry | None = asked(
        "pump_differential", "Pump differential", "measured", "Discharge less suction, gauges at one height."
    )
    airflow: Entry | None = asked(
        "airflow", "Airflow", "measured", "Only if it was measured: traverse, hood or flow station."
    )
    water_flow: Entry | None = asked("water_flow", "Water flow", "measured", "Only if it was measured.")

    @property
    def on_full_tap(self) -> bool:
        """Whether plate speed and amps apply; a set with no tap noted is taken as full, and says so."""
        return self.tap is None or self.tap in FULL_TAPS

    def flow(self, wheel: Wheel | None) -> Entry | None:
        """The measured flow of the medium that the wheel moves."""
        return self.water_flow if wheel is Wheel.PUMP else self.airflow

    @property
    def is_empty(self) -> bool:
        """Whether nothing was read yet."""
        fields = set(type(self).model_fields) - {"id", "name", "tap"}
        return all(getattr(self, field) is None for field in fields)
