"""Devices as they are kept, who may write them, and what was written."""

from __future__ import annotations

import time
from dataclasses import dataclass
from datetime import UTC, datetime, timedelta
from pathlib import Path
from typing import Any

from modest_rotor.core.errors import ChangeRefused, UnknownItem
from modest_rotor.core.say import say
from modest_rotor.store.database import database, in_one_transaction, transaction
from modest_rotor.store.models import DeviceRow, JobRow, WriteAuthorisationRow, WrittenRow

MOST_DEVICES = 60
LONGEST_AUTHORISED = timedelta(minutes=60)


@dataclass(frozen=True)
class KeptDevice:
    """A device with its profile as data."""

    id: int
    name: str
    profile: dict[str, Any]
    host: str
    port: int
    unit: int
    simulated_device: str | None
    site: str | None = None
    """Where it stands; ``None`` where nobody said it."""

    def stands_at(self, site: str) -> bool:
        """Whether it may be of a site: it stands there, or nobody said where it stands."""
        return self.site is None or self.site == site


@dataclass(frozen=True)
class WriteAuthorisation:
    """Leave to write, and until when."""

    device_id: int
    job_id: int
    roles: tuple[str, ...]
    who: str
    until: datetime


@dataclass(frozen=True)
class Written:
    """One write as it is kept, values in SI."""

    role: str
    address: int
    before: float | None
    wanted: float
    after: float | None
    outcome: str


def all_devices() -> tuple[KeptDevice, ...]:
    """Every device, oldest first."""
    return tuple(_kept(row) for row in DeviceRow.select().order_by(DeviceRow.id))


def device(device_id: int) -> KeptDevice:
    """One device. :raises UnknownItem: there is none of that number."""
    row = DeviceRow.get_or_none(DeviceRow.id == device_id)
    if row is None:
        raise UnknownItem(say("store-devices-device", device_id=device_id))
    return _kept(row)


def device_named(name: str | None) -> KeptDevice:
    """The device of a name. :raises UnknownItem: none is kept under it."""
    row = DeviceRow.get_or_none(DeviceRow.name == name) if name else None
    if row is None:
        raise UnknownItem(
            say("store-devices-device-named-device-called", name=name)
            if name
            else say("store-devices-device-named-device-chosen")
        )
    return _kept(row)


def add_device(
    name: str,
    profile: dict[str, Any],
    host: str,
    port: int,
    unit: int,
    simulated_device: str | None = None,
    site: str | None = None,
) -> KeptDevice:
    """Keep a device; a simulated device that is there already only gets its new port."""
    now = datetime.now(UTC)
    with transaction():
        if simulated_device is not None:
            row = DeviceRow.get_or_none(DeviceRow.simulated_device == simulated_device)
            if row is not None:
                row.name, row.profile, row.host, row.port, row.unit, row.saved = name, profile, host, port, unit, now
                row.site = site
                row.save()
                return _kept(row)
        if DeviceRow.select().count() >= MOST_DEVICES:
            raise ChangeRefused(say("store-devices-add-device-most-devices", most_devices=MOST_DEVICES))
        if DeviceRow.select().where(DeviceRow.name == name).exists():
            raise ChangeRefused(say("store-devices-add-device-there-device", name=name))
        row = DeviceRow.create(
            name=name,
            profile=profile,
            host=host,
            port=port,
            unit=unit,
            simulated_device=simulated_device,
            site=site,
            saved=now,
        )
    return _kept(row)


@in_one_transaction
def remove_device(device_id: int) -> None:
    """Forget a device; what was written to it stays. :raises ChangeRefused: a simulated device, which ships."""
    if device(device_id).simulated_device is not None:
        raise ChangeRefused(say("store-devices-remove-device"))
    DeviceRow.delete().where(DeviceRow.id == device_id).execute()


@in_one_transaction
def authorise(device_id: int, job_id: int, roles: tuple[str, ...], who: str, minutes: int) -> WriteAuthorisation:
    """Authorise writing of some registers for a time, counted by a clock that nobody sets."""
    device(device_id)
    if JobRow.get_or_none(JobRow.id == job_id) is None:
        raise UnknownItem(say("store-devices-authorise", job_id=job_id))
    now = datetime.now(UTC)
    given = min(timedelta(minutes=minutes), LONGEST_AUTHORISED)
    WriteAuthorisationRow.create(
        device=device_id,
        job=job_id,
        roles=list(roles),
        who=who,
        at=now,
        until=now + given,
        boot=_boot(),
        until_s=_since_boot_s() + given.total_seconds(),
    )
    return WriteAuthorisation(device_id, job_id, roles, who, now + given)


def authorisations_of(device_id: int) -> tuple[WriteAuthorisation, ...]:
    """Authorisations that hold now; none outlives a restart of the machine."""
    passed = _since_boot_s()
    rows = WriteAuthorisationRow.select().where(
        WriteAuthorisationRow.device == device_id,
        WriteAuthorisationRow.boot == _boot(),
        WriteAuthorisationRow.until_s > passed,
    )
    now = datetime.now(UTC)
    return tuple(
        WriteAuthorisation(
            device_id, row.job.id, tuple(row.roles), row.who, now + timedelta(seconds=row.until_s - passed)
        )
        for row in rows
    )


@in_one_transaction
def withdraw(device_id: int) -> None:
    """End every authorisation of a device now."""
    WriteAuthorisationRow.update(until=datetime.now(UTC), until_s=0.0).where(
        WriteAuthorisationRow.device == device_id, WriteAuthorisationRow.until_s > 0
    ).execute()


def _since_boot_s() -> float:
    """Seconds since this machine was started, asleep or awake: whoever sets the clock does not move it."""
    return time.clock_gettime(time.CLOCK_BOOTTIME)


def _boot() -> str:
    """The name of this run of the machine."""
    try:
        return Path("/proc/sys/kernel/random/boot_id").read_text().strip()
    except OSError:
        return "unnamed"


NOT_KNOWN_YET = say("store-devices-not-known-yet")


def begin_write(kept: KeptDevice, job_id: int | None, written: Written, who: str) -> int:
    """Keep what is about to be written, before it is sent, for ever; gives its number. It is ended by :func:`end_write`."""
    with database.atomic():  # of its own: that the intent is kept says nothing of what a request saves
        row = WrittenRow.create(
            device=kept.id,
            device_number=kept.id,
            device_name=kept.name,
            job=job_id,
            role=written.role,
            address=written.address,
            before=written.before,
            wanted=written.wanted,
            after=written.after,
            outcome=written.outcome or NOT_KNOWN_YET,
            who=who,
            at=datetime.now(UTC),
            ended=False,
        )
    return int(row.id)


def end_write(number: int, after: float | None, outcome: str) -> None:
    """Keep what became of a write."""
    with database.atomic():
        WrittenRow.update(after=after, outcome=outcome, ended=True).where(WrittenRow.id == number).execute()


def open_writes() -> tuple[WrittenRow, ...]:
    """Writes of which it is not known what became of them, oldest first."""
    return tuple(WrittenRow.select().where(~WrittenRow.ended).order_by(WrittenRow.id))


def writes_of(device_id: int, most: int = 50) -> tuple[WrittenRow, ...]:
    """The newest writes of a device, also of one that was removed."""
    rows = WrittenRow.select().where(WrittenRow.device_number == device_id).order_by(WrittenRow.id.desc()).limit(most)
    return tuple(rows)


def _kept(row: DeviceRow) -> KeptDevice:
    return KeptDevice(row.id, row.name, row.profile, row.host, row.port, row.unit, row.simulated_device, row.site)
