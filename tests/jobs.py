"""Jobs for the tests, built from plain data as a job file holds them."""

from __future__ import annotations

from copy import deepcopy
from typing import Any

from modest_rotor.core.assess import assess, fit_job, job_fit_key, loaded
from modest_rotor.core.assessment import Assessment
from modest_rotor.core.job import Job
from modest_rotor.core.options.answers import LoadedAnswer
from modest_rotor.core.stations.motor_fit import MotorFit
from modest_rotor.store.solving import NewestKept

FITS: dict[str, MotorFit] = {}
KEPT = NewestKept(4000)
"""Parts that many of the tests' jobs share, kept as the application keeps them; one test holds them against none."""

# Krause, Wasynczuk and Sudhoff, Analysis of Electric Machinery, the 1/4 hp capacitor-run machine (110 V, 60 Hz, four
# poles), solved at a slip of 0.05 by two-axis phasors, symmetrical components and time integration: 219.8 W at the
# shaft, 265.8 W and 2.880 A from the line at 1,710 rpm. The book leaves out iron losses, which every sold motor has: 40 W
# across the terminals are added, which changes nothing else (305.8 W, 3.19 A). The plate is what such a machine would
# carry: a quarter horse at 1,725 rpm, with the amps and the capacitor of that point.
KRAUSE_SHAFT_W, KRAUSE_INPUT_W = 219.81475, 265.78105 + 40.0
KRAUSE = {
    "site": {"name": "Textbook", "units": "si", "currency": "EUR"},
    "machine": {"name": "Krause quarter horse on a fan", "type": "backward-inclined"},
    "document": {
        "call": {"reason": "costly", "protected": "no"},
        "nameplate": {
            "rated_power": "1/4 hp", "rated_voltage": "110 V", "rated_current": "2.9 A", "rated_speed": "1,725 rpm",
            "frequency": "60 Hz", "phases": 1, "run_capacitance": "15.4 µF",
        },
        "readings": [
            {
                "id": "s1", "name": "slip 0.05", "tap": "one speed", "voltage": "110 V", "current": "3.19 A",
                "input_power": "305.8 W", "speed": "1,710 rpm", "supply_static": "130 Pa", "return_static": "-150 Pa",
                "airflow": "510 L/s",
            }
        ],
        "duty": {
            "steps": [
                {"id": "s1", "name": "full", "hours": "2,000 h", "flow_share": "100 %"},
                {"id": "s2", "name": "half", "hours": "3,000 h", "flow_share": "50 %"},
            ],
            "part_flow": "by a damper or valve",
            "static_pressure_set_point": "0 Pa",
            "energy_price": "0.25 per kWh",
        },
        "options": {"same_kind_cost": "220", "electronic_cost": "420"},
    },
}  # fmt: skip


def changed(data: dict[str, Any], **changes: Any) -> dict[str, Any]:
    """A copy with some places set: ``nameplate__rated_power="1 hp"``, ``readings__0__airflow=None``, from the document down."""
    copy = deepcopy(data)
    for path, value in changes.items():
        steps = path.split("__")
        place: Any = copy if steps[0] in ("machine", "site") else copy["document"]
        for step in steps[:-1]:
            place = place[int(step)] if step.isdigit() else place.setdefault(step, {})
        place[steps[-1]] = value
    return copy


def assessed(data: dict[str, Any], **changes: Any) -> Assessment:
    """The assessment of a job with some places changed; the fit, which many of them share, is kept by its key."""
    job = Job.model_validate(changed(data, **changes))
    key = job_fit_key(job)
    if key not in FITS:
        FITS[key] = fit_job(job)
    return assess(job, FITS[key], KEPT)


def as_loaded(data: dict[str, Any], **changes: Any) -> dict[str, LoadedAnswer]:
    """What each option of a job moves and takes as the filter loads, by the option's name."""
    job = Job.model_validate(changed(data, **changes))
    return {one.id: one for one in loaded(job, FITS.setdefault(job_fit_key(job), fit_job(job)), KEPT)}


def option(assessment: Assessment, letter: str) -> Any:
    """One option by its letter."""
    return next(one for one in assessment.options.options if one.letter == letter)


def rules(assessment: Assessment) -> set[str]:
    """The names of the rules that found something, standing cautions left out."""
    return {finding.rule for finding in assessment.findings if not finding.standing}
