"""Meter panels read into their machines' logs at an interval, for as long as the application runs."""

from __future__ import annotations

import logging
import time
from datetime import UTC, datetime
from threading import Event

from modest_rotor.core.errors import ModestRotorError
from modest_rotor.devices.links import LINKS, profile_of
from modest_rotor.devices.reading import is_steady
from modest_rotor.fieldbus.client import Values
from modest_rotor.fieldbus.profile import Role
from modest_rotor.store import logs
from modest_rotor.store.database import connection
from modest_rotor.store.devices import KeptDevice, device
from modest_rotor.store.models import WatchRow

log = logging.getLogger(__name__)
LOOK_EVERY_S = 1.0
SHORTEST_S, LONGEST_S = 2, 86_400
PARTS = {
    "voltage": Role.VOLTAGE,
    "current": Role.CURRENT,
    "input_power": Role.INPUT_POWER,
    "speed": Role.SPEED,
    "airflow": Role.AIRFLOW,
    "air": Role.ENTERING,
}
STANDING_RPM = 5.0
_trouble: dict[int, str] = {}
_due: dict[int, float] = {}


def log_values(read: Values) -> dict[str, float]:
    """What a panel's answer says for the log, in SI; the static across is the difference of its two."""
    values = {name: read.values[role] for name, role in PARTS.items() if role in read.values}
    after, before = read.values.get(Role.SUPPLY_STATIC), read.values.get(Role.RETURN_STATIC)
    if after is not None and before is not None:
        values["static"] = after - before
    return values


def setting_of(commander: KeptDevice) -> str:
    """On what a machine runs, as its drive or fan was told: named as the log names settings."""
    profile = profile_of(commander)
    if profile.register(Role.FREQUENCY_COMMAND):
        read = LINKS.link(commander).read((Role.FREQUENCY_COMMAND,))
        return f"{read.values[Role.FREQUENCY_COMMAND]:.1f} Hz"
    read = LINKS.link(commander).read((Role.SPEED_COMMAND,))
    return f"{100 * read.values[Role.SPEED_COMMAND]:.0f} %"


def read_once(machine_id: int, panel: KeptDevice, commander: KeptDevice | None, setting: str, who: str) -> None:
    """Read a panel into a log. A machine that stands, or is on its way to what it was told, says nothing and is left out.

    :raises ModestRotorError: no answer, or one that its profile does not believe; nothing was kept.
    """
    told = setting_of(commander) if commander else setting
    if commander and not is_steady(commander):
        return
    values = log_values(LINKS.link(panel).read())
    if not values or values.get("speed", STANDING_RPM) < STANDING_RPM:
        return
    if commander and setting_of(commander) != told:
        return
    reading = logs.NewReading(datetime.now(UTC), told, panel.name, values, who)
    logs.keep_readings(machine_id, (reading,))


def trouble_of(machine_id: int) -> str | None:
    """Why the last reading of a machine's panel failed, if it did."""
    return _trouble.get(machine_id)


def watch_panels(stopping: Event) -> None:
    """Read every watched panel when it is due, until told to stop; trouble of one stops no other."""
    while not stopping.wait(LOOK_EVERY_S):
        try:
            with connection():
                for row in logs.all_watches():
                    _read_if_due(row)
        except Exception as error:  # the database may be away; it comes back
            log.warning("The log waits: %s", error)


def _read_if_due(row: WatchRow) -> None:
    machine_id, now = row.machine.id, time.monotonic()
    if _due.get(machine_id, 0.0) > now:
        return
    _due[machine_id] = now + row.every_s
    try:
        commander = device(row.commander.id) if row.commander else None
        read_once(machine_id, device(row.device.id), commander, row.setting, row.who)
        _trouble.pop(machine_id, None)
    except (ModestRotorError, KeyError) as error:
        _trouble[machine_id] = getattr(error, "sentence", "the panel's profile lacks what is read")
