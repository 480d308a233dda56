"""The finished job of the demo: signed off a year ago, with a year of readings in which a filter loads; and a capacitor that ages."""

from __future__ import annotations

from datetime import UTC, datetime, timedelta

import numpy as np

from modest_rotor.core.drift.log import MEASURAND_OF, EventKind, Reference
from modest_rotor.core.drift.machine import machine_since
from modest_rotor.core.drift.reference import references_of
from modest_rotor.core.drift.simulated import YEAR_D, Fault, simulated_log
from modest_rotor.core.estimate import Array
from modest_rotor.core.identify.perturb import Change, Measurand
from modest_rotor.core.job import Job
from modest_rotor.core.outcome import Absent
from modest_rotor.store import logs, signed
from modest_rotor.store.fits import assess_job
from modest_rotor.store.jobs import StoredJob, keep_job
from modest_rotor.store.solving import repaired_here

SIGNED_DAYS_AGO = 372
SEED = 20251117
PANEL = "Baggage hall panel"
FILTER_LOADS = Fault(Change.FILTER_LOADED, 1.7, begins=205.0)
HALL_AIR_C = (19.0, 4.0)
SHARE_READ = 0.97
CAPACITANCE_UF = ((-1010, 7.45), (-820, 7.40), (-640, 7.34), (-455, 7.27), (-270, 7.22), (-95, 7.16))
"""Days before today, and what the run capacitor of the ticket office's fan coil was read at."""
UF = 1e-6


def keep_finished(job: Job, now: datetime) -> StoredJob:
    """Keep the finished job as if it had been signed off a year ago, with its log since."""
    begun = (now - timedelta(days=SIGNED_DAYS_AGO)).replace(hour=11, minute=0, second=0, microsecond=0)
    stored = keep_job(_dated(job, begun))
    signed.sign(stored.id, stored.revision, "Plant team", "building services", at=begun)
    logs.add_event(
        stored.machine_id, begun + timedelta(days=4), EventKind.FILTER, "new filter, clean", 180, "Plant team"
    )
    rng = np.random.default_rng(SEED)
    days = np.arange(5.0, SIGNED_DAYS_AGO - 1.0)
    days = days[rng.random(len(days)) < SHARE_READ]
    days = days + rng.uniform(-0.1, 0.2, len(days))
    for reference in references_of(stored.job, assess_job(stored.job), None):
        logs.keep_readings(stored.machine_id, _year(stored.job, reference, days, begun, rng))
    return stored


def keep_capacitor(stored: StoredJob, now: datetime) -> None:
    """Visits at which only the run capacitor was read."""
    readings = [
        logs.NewReading(now + timedelta(days=day), "as it runs", "visit", {"capacitance": value * UF}, "Plant team")
        for day, value in CAPACITANCE_UF
    ]
    logs.keep_readings(stored.machine_id, readings)


def _year(
    job: Job, reference: Reference, days: Array, begun: datetime, rng: np.random.Generator
) -> list[logs.NewReading]:
    """Readings of one setting, from the machine as it was signed off."""
    healthy: dict[Measurand, float] = {
        MEASURAND_OF[name]: value for name, value in reference.values.items() if name in MEASURAND_OF
    }
    setup = machine_since(job, repaired_here(job), healthy)
    if isinstance(setup, Absent):
        raise ValueError(setup)
    season = YEAR_D - (begun.timetuple().tm_yday - 110)
    log = simulated_log(
        setup, rng, days, FILTER_LOADS, season=season, air_c=HALL_AIR_C, setting=reference.setting, source=PANEL
    )
    return [
        logs.NewReading(
            begun + timedelta(days=float(day)),
            reference.setting,
            PANEL,
            {name: float(f"{column[place]:.4g}") for name, column in log.columns.items()},
        )
        for place, day in enumerate(log.days)
    ]


def _dated(job: Job, day: datetime) -> Job:
    """The job with its sets and signatures on the days before it was signed."""
    document = job.document
    before = f"{day - timedelta(days=42):%Y-%m-%d}"
    readings = tuple(
        one.model_copy(update={"taken_at": f"{day:%Y-%m-%d} 10:40" if one in document.after else f"{before} 09:20"})
        for one in document.readings
    )
    signs = tuple(one.model_copy(update={"at": f"{day:%Y-%m-%d} 10:30"}) for one in document.setup.signs)
    trials = tuple(one.model_copy(update={"at": f"{day:%Y-%m-%d} 10:20"}) for one in document.setup.trials)
    setup = document.setup.model_copy(update={"signs": signs, "trials": trials})
    return job.model_copy(update={"document": document.model_copy(update={"readings": readings, "setup": setup})})


def today() -> datetime:
    """Now, without its seconds."""
    return datetime.now(UTC).replace(second=0, microsecond=0)
