"""The invented demo scenario and catalogue, each loaded once into an empty database."""

from __future__ import annotations

from importlib.resources import files

from modest_rotor.core.job import Job
from modest_rotor.demo.finished import keep_capacitor, keep_finished, today
from modest_rotor.formats.catalogue_files import read_catalogue
from modest_rotor.formats.job_file import read_job
from modest_rotor.store.catalogue import is_empty, keep_products
from modest_rotor.store.database import with_connection
from modest_rotor.store.fits import begin_assessing
from modest_rotor.store.jobs import keep_job
from modest_rotor.store.models import SiteRow

DEMO_JOBS = (
    "waiting_hall_air_handler.json",
    "heating_circulator.json",
    "grey_water_lift_pump.json",
    "kitchen_extract_fan.json",
    "hall_supply_fan.json",
    "ticket_office_fan_coil.json",
    "washroom_extract_north.json",
    "bait_cold_store.json",
)
FINISHED = "baggage_hall_air_handler.json"
OLD_CAPACITOR = "ticket_office_fan_coil.json"


@with_connection
def load_demo_once() -> int:
    """Load the demo jobs if there is no site yet; gives how many were loaded."""
    if SiteRow.select().exists():
        return 0
    now = today()
    wanted = [_job(name) for name in DEMO_JOBS]
    begin_assessing((*wanted, _job(FINISHED)))
    for name, job in zip(DEMO_JOBS, wanted, strict=True):
        stored = keep_job(job)
        if name == OLD_CAPACITOR:
            keep_capacitor(stored, now)
    keep_finished(_job(FINISHED), now)
    return len(DEMO_JOBS) + 1


def _job(name: str) -> Job:
    return read_job(files(__package__).joinpath(name).read_text(encoding="utf-8"))


@with_connection
def load_catalogue_once() -> int:
    """Load the invented catalogue if there is none yet; gives how many entries were loaded."""
    if not is_empty():
        return 0
    return keep_products(
        read_catalogue(files(__package__).joinpath("catalogue.csv").read_text(encoding="utf-8")).products
    )
