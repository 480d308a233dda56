"""Devices as they are kept, who may write them, and what was written."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import UTC, datetime, timedelta
from typing import Any

from modest_rotor.core.errors import ChangeRefused, UnknownItem
from modest_rotor.store.database import database
from modest_rotor.store.models import ArmedRow, DeviceRow, JobRow, WrittenRow

MOST_DEVICES = 60
LONGEST_ARMED = timedelta(minutes=60)


@dataclass(frozen=True)
class KeptDevice:
    """A device with its profile as data."""

    id: int
    name: str
    profile: dict[str, Any]
    host: str
    port: int
    unit: int
    stand_in: str | None


@dataclass(frozen=True)
class Armed:
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
        raise UnknownItem(f"There is no device {device_id}.")
    return _kept(row)


def device_named(name: str | None) -> KeptDevice:
    """The device of a name. :raises UnknownItem: none is kept under it."""
    row = DeviceRow.get_or_none(DeviceRow.name == name) if name else None
    if row is None:
        raise UnknownItem(
            f"No device called “{name}” is kept here; choose one." if name else "No device is chosen yet."
        )
    return _kept(row)


def add_device(
    name: str, profile: dict[str, Any], host: str, port: int, unit: int, stand_in: str | None = None
) -> KeptDevice:
    """Keep a device; a stand-in that is there already only gets its new port."""
    now = datetime.now(UTC)
    with database.atomic():
        if stand_in is not None:
            row = DeviceRow.get_or_none(DeviceRow.stand_in == stand_in)
            if row is not None:
                row.name, row.profile, row.host, row.port, row.unit, row.saved = name, profile, host, port, unit, now
                row.save()
                return _kept(row)
        if DeviceRow.select().count() >= MOST_DEVICES:
            raise ChangeRefused(f"At most {MOST_DEVICES} devices are kept; this one was not. Remove one first.")
        if DeviceRow.select().where(DeviceRow.name == name).exists():
            raise ChangeRefused(f"There is a device called “{name}” already; give this one another name.")
        row = DeviceRow.create(
            name=name, profile=profile, host=host, port=port, unit=unit, stand_in=stand_in, saved=now
        )
    return _kept(row)


def remove_device(device_id: int) -> None:
    """Forget a device; what was written to it stays. :raises ChangeRefused: a stand-in, which ships."""
    if device(device_id).stand_in is not None:
        raise ChangeRefused("A stand-in ships with the application and stays.")
    DeviceRow.delete().where(DeviceRow.id == device_id).execute()


def arm(device_id: int, job_id: int, roles: tuple[str, ...], who: str, minutes: int) -> Armed:
    """Give leave to write some registers for a time."""
    device(device_id)
    if JobRow.get_or_none(JobRow.id == job_id) is None:
        raise UnknownItem(f"There is no job {job_id}.")
    now = datetime.now(UTC)
    until = now + min(timedelta(minutes=minutes), LONGEST_ARMED)
    ArmedRow.create(device=device_id, job=job_id, roles=list(roles), who=who, at=now, until=until)
    return Armed(device_id, job_id, roles, who, until)


def armed_for(device_id: int) -> tuple[Armed, ...]:
    """Leaves that hold now."""
    rows = ArmedRow.select().where(ArmedRow.device == device_id, ArmedRow.until > datetime.now(UTC))
    return tuple(Armed(device_id, row.job.id, tuple(row.roles), row.who, row.until) for row in rows)


def disarm(device_id: int) -> None:
    """End every leave of a device now."""
    now = datetime.now(UTC)
    ArmedRow.update(until=now).where(ArmedRow.device == device_id, ArmedRow.until > now).execute()


def keep_write(kept: KeptDevice, job_id: int | None, written: Written, who: str) -> None:
    """Keep what was written, for ever."""
    WrittenRow.create(
        device=kept.id,
        device_name=kept.name,
        job=job_id,
        role=written.role,
        address=written.address,
        before=written.before,
        wanted=written.wanted,
        after=written.after,
        outcome=written.outcome,
        who=who,
        at=datetime.now(UTC),
    )


def writes_of(device_id: int, most: int = 50) -> tuple[WrittenRow, ...]:
    """The newest writes of a device."""
    return tuple(WrittenRow.select().where(WrittenRow.device == device_id).order_by(WrittenRow.id.desc()).limit(most))


def _kept(row: DeviceRow) -> KeptDevice:
    return KeptDevice(row.id, row.name, row.profile, row.host, row.port, row.unit, row.stand_in)
