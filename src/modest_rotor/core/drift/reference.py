"""The state at sign-off, a setting each, that readings over time are held against."""

from __future__ import annotations

from modest_rotor.core.assessment import Assessment
from modest_rotor.core.drift.log import Reference
from modest_rotor.core.entry import Entry
from modest_rotor.core.job import Job
from modest_rotor.core.physics.fan import MachineType, medium_of
from modest_rotor.core.stations.readings import ReadingSet
from modest_rotor.core.stations.set_answer import SetAnswer

ONE_SETTING = "as it runs"


def setting_word(reading: ReadingSet) -> str:
    """On what a set was read, as the log names settings: hertz, share of the command, or tap."""
    if reading.frequency is not None:
        return f"{reading.frequency.si:.1f} Hz"
    if reading.signal is not None:
        return f"{100 * reading.signal.si:.0f} %"
    return str(reading.tap) if reading.tap is not None else ONE_SETTING


def references_of(job: Job, assessment: Assessment, day: float | None) -> tuple[Reference, ...]:
    """One for each setting that was read: after set-up where there was one, else as found.

    :param day: of the sign-off, days since 1970.
    """
    told = {answer.id: answer for answer in assessment.sets}
    found: dict[str, Reference] = {}
    for reading in job.document.after or job.document.before:
        setting = setting_word(reading)
        found.setdefault(setting, _reference(reading, told.get(reading.id), setting, job.machine.type, day))
    return tuple(found.values())


def values_of(reading: ReadingSet, answer: SetAnswer | None, machine_type: MachineType | None) -> dict[str, float]:
    """What a set says, by the columns of the log, in SI.

    :param reading: as typed. :param answer: for the pressure, Pa. :param machine_type: settles fan or pump columns. Source:
    definition.
    """
    pump = machine_type is MachineType.PUMP
    entries: dict[str, Entry | None] = {
        "voltage": reading.voltage,
        "current": reading.current,
        "input_power": reading.input_power,
        "speed": reading.speed,
        "airflow": None if pump else reading.airflow,
        "water_flow": reading.water_flow if pump else None,
        "air": reading.entering,
        "capacitance": reading.capacitance,
    }
    values = {name: entry.si for name, entry in entries.items() if entry is not None}
    pressure = answer.pressure.figure if answer else None
    if pressure is not None:
        values[medium_of(machine_type).logged_pressure] = pressure.value
    return values


def _reference(
    reading: ReadingSet, answer: SetAnswer | None, setting: str, machine_type: MachineType | None, day: float | None
) -> Reference:
    uncertainties = dict(answer.uncertainties) if answer else {}
    if answer and answer.pressure.figure and answer.pressure.figure.uncertainty:
        uncertainties[medium_of(machine_type).logged_pressure] = answer.pressure.figure.uncertainty
    return Reference(
        setting=setting, values=values_of(reading, answer, machine_type), uncertainties=uncertainties, day=day
    )
