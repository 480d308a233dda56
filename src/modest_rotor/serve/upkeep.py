"""What is done beside the requests: lines of the Board renewed, writes that were cut off looked up in their devices."""

from __future__ import annotations

import logging
import time
from collections.abc import Callable
from datetime import UTC, datetime
from threading import Event

from modest_rotor.devices.intents import close_open_writes
from modest_rotor.store import board, logs
from modest_rotor.store.database import DatabaseAway, DatabaseBusy, connection
from modest_rotor.store.shelves import empty_bin

log = logging.getLogger(__name__)
IDLE_S, BUSY_S = 2.0, 0.05
LOOK_UP_EVERY_S = 15.0
JOBS_AT_ONCE, MACHINES_AT_ONCE = 5, 2
COMMANDS_KEPT_DAYS = 90
"""For so long a page that was away may send an act again and have it done once."""


def renew_lines() -> bool:
    """Renew some lines that an older program, or another job of a machine, left behind; whether there were any."""
    stale, machines = board.stale_jobs(JOBS_AT_ONCE), logs.stale_machines(MACHINES_AT_ONCE)
    for job in stale:
        board.renew_line(job)
    for machine in machines:
        logs.keep_told(machine)
    return bool(stale or machines)


def keep_up(stopping: Event) -> None:
    """Until told to stop. Whatever goes wrong is noted down and tried again: it concerns no request."""
    wait, looked, told = BUSY_S, 0.0, ""
    while not stopping.wait(wait):
        wait = IDLE_S
        try:
            with connection():
                if renew_lines():
                    wait = BUSY_S
                if time.monotonic() - looked > LOOK_UP_EVERY_S:
                    close_open_writes()
                    empty_bin(datetime.now(UTC))
                    looked = time.monotonic()
            told = ""
        except (DatabaseAway, DatabaseBusy):
            continue
        except Exception as error:
            told = _told_once(told, error, log.exception)


def _told_once(told: str, error: Exception, report: Callable[[str], None]) -> str:
    said = f"{type(error).__name__}: {error}"
    if said != told:
        report("the upkeep failed, and is tried again")
    return said
