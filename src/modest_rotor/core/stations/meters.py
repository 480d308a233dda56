"""The meters that are in the bag: how far each may be off."""

from __future__ import annotations

from modest_rotor.core.entry import Entry
from modest_rotor.core.say import say
from modest_rotor.core.stations.sheet import Sheet, asked, told

PROMISE = say("stations-meters-promise")


class Meters(Sheet):
    """Instruments, set once for each person, and kept with the job that they were used on."""

    owner: str | None = told("field-Meters-owner", longest=120)
    voltmeter: Entry | None = asked("meter_accuracy", "field-Meters-voltmeter", "typed", help_text=PROMISE)
    clamp_meter: Entry | None = asked("meter_accuracy", "field-Meters-clamp_meter", "typed", help_text=PROMISE)
    wattmeter: Entry | None = asked("meter_accuracy", "field-Meters-wattmeter", "typed", help_text=PROMISE)
    manometer: Entry | None = asked("meter_accuracy", "field-Meters-manometer", "typed", help_text=PROMISE)
    pressure_gauge: Entry | None = asked("meter_accuracy", "field-Meters-pressure_gauge", "typed", help_text=PROMISE)
    capacitance_meter: Entry | None = asked(
        "meter_accuracy", "field-Meters-capacitance_meter", "typed", help_text=PROMISE
    )
    flow_measurement: Entry | None = asked("meter_accuracy", "field-Meters-flow_measurement", "typed")
    flow_meter: Entry | None = asked("meter_accuracy", "field-Meters-flow_meter", "typed", help_text=PROMISE)

    @property
    def accuracies(self) -> tuple[tuple[str, float], ...]:
        """For each meter whose accuracy was said: its name in the table of meters, and ± as a share of the reading at 95 %."""
        fields = (name for name in type(self).model_fields if name != "owner")
        said = ((name, getattr(self, name)) for name in fields)
        return tuple((name.replace("_", " "), entry.si) for name, entry in said if entry is not None)
