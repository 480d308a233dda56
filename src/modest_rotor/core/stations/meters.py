"""The meters that are in the bag: how far each may be off."""

from __future__ import annotations

from modest_rotor.core.entry import Entry
from modest_rotor.core.stations.sheet import Sheet, asked, told

PROMISE = "Off its data sheet, as ± of the reading; empty takes what sound ones promise."


class Meters(Sheet):
    """Instruments, set once for each person, and kept with the job that they were used on."""

    owner: str | None = told("Whose they are", longest=120)
    voltmeter: Entry | None = asked("meter_accuracy", "Voltmeter ±", "typed", PROMISE)
    clamp_meter: Entry | None = asked("meter_accuracy", "Clamp meter ±", "typed", PROMISE)
    wattmeter: Entry | None = asked("meter_accuracy", "Wattmeter ±", "typed", PROMISE)
    manometer: Entry | None = asked("meter_accuracy", "Manometer ±", "typed", PROMISE)
    pressure_gauge: Entry | None = asked("meter_accuracy", "Pressure gauge ±", "typed", PROMISE)
    capacitance_meter: Entry | None = asked("meter_accuracy", "Capacitance meter ±", "typed", PROMISE)
    flow_measurement: Entry | None = asked("meter_accuracy", "Airflow ±", "typed", "Hood or traverse; empty takes 7 %.")
    flow_meter: Entry | None = asked("meter_accuracy", "Water flow ±", "typed", PROMISE)

    @property
    def accuracies(self) -> tuple[tuple[str, float], ...]:
        """For each meter whose accuracy was said: its name in the table of meters, and ± as a share of the reading at 95 %."""
        fields = (name for name in type(self).model_fields if name != "owner")
        said = ((name, getattr(self, name)) for name in fields)
        return tuple((name.replace("_", " "), entry.si) for name, entry in said if entry is not None)
