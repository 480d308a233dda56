"""Devices over HTTP: which are kept, what they said and when, their profiles, and what simulated devices are made to do wrong."""

from __future__ import annotations

from contextlib import suppress
from datetime import UTC, datetime
from typing import Any

from fastapi import APIRouter
from pydantic import Field

from modest_rotor.api.contracts import LONGEST_NAME, Words
from modest_rotor.api.setup import WriteAnswer, stopped
from modest_rotor.core.errors import ChangeRefused, Refusal, UnknownItem
from modest_rotor.core.phrase import Phrase, WithWords
from modest_rotor.core.say import say
from modest_rotor.core.stations.traits import Traits
from modest_rotor.devices.links import LINKS, profile_of
from modest_rotor.devices.simulated_devices import is_of_bench, simulated_device_of
from modest_rotor.fieldbus.client import address_of
from modest_rotor.fieldbus.errors import DeviceTrouble, NotAllowed
from modest_rotor.fieldbus.profile import DeviceKind, DeviceProfile, Role, read_profile, shipped_profiles
from modest_rotor.fieldbus.simulated import Trouble
from modest_rotor.fieldbus.words import role_words, said
from modest_rotor.store import devices
from modest_rotor.store.database import with_connection
from modest_rotor.store.devices import KeptDevice

router = APIRouter(prefix="/api", tags=["devices"])
SETTINGS_OF_A_PANEL = (Role.NOISE, Role.DROP_OUTS, Role.DRIFT)


class DeviceValue(WithWords):
    """One register as it was answered."""

    role: Role
    words: str
    address: int
    kind: str
    writable: bool
    shown: Phrase
    refused: str | None = None


class DeviceView(WithWords):
    """A device, and what it said last. ``fresh`` only where it answered the very last time it was asked."""

    id: int
    name: str
    kind: DeviceKind
    profile: str
    profile_name: str
    traits: Traits
    address: str
    simulated_device: bool
    site: str | None = Field(default=None, description="where it stands; absent where nobody said it")
    of_bench: bool = Field(description="stands on the Bench: nothing on it is a reading of a job")
    fresh: bool
    trouble: str | None
    answered: datetime | None
    age_s: float | None
    values: list[DeviceValue]
    authorised_until: datetime | None
    authorised_by: str | None
    wrong: Trouble | None = Field(default=None, description="what a simulated device is made to do wrong")
    wrongs: list[Trouble] = Field(default=[], description="what it can be made to do wrong, where it runs here")


class ProfileLine(WithWords):
    """A profile as it is listed."""

    code: str
    name: str
    kind: DeviceKind
    registers: int
    writable: int
    traits: Traits


class ProfileText(WithWords):
    """The text of a profile's file."""

    text: str = Field(max_length=200_000)


class NewDevice(WithWords):
    """A device to be kept: a shipped profile by its code, or the text of a profile's file."""

    name: Words = Field(max_length=LONGEST_NAME)
    code: str | None = Field(default=None, max_length=40)
    text: str | None = Field(default=None, max_length=200_000)
    host: Words = Field(max_length=60)
    port: int = 502
    unit: int = 1
    site: Words | None = Field(
        default=None, max_length=LONGEST_NAME, description="where it stands; every job where empty"
    )


class TroubleIn(WithWords):
    """What a simulated device is to do wrong."""

    trouble: Trouble


class PanelIn(WithWords):
    """How a simulated panel is to err, as shares."""

    noise: float = Field(default=0.004, ge=0, le=0.2)
    drop_outs: float = Field(default=0.0, ge=0, le=1)
    drift: float = Field(default=0.0, ge=-0.5, le=0.5)


class StopIn(WithWords):
    """Who stops it."""

    who: Words = Field(default="", max_length=LONGEST_NAME)


class WriteLine(WithWords):
    """One write as it is kept; ``ended`` once it is known what became of it."""

    ended: bool

    at: datetime
    job: int | None
    words: str
    address: int
    before: float | None
    wanted: float
    after: float | None
    outcome: str
    who: str


@router.get("/devices")
@with_connection
def list_devices() -> list[DeviceView]:
    """Every device with what it said last; nothing is asked."""
    return [view_device(kept) for kept in devices.all_devices()]


@router.post("/devices", status_code=201)
@with_connection
def add(new: NewDevice) -> DeviceView:
    """Keep a device, on this machine or on a private network."""
    name = new.name.strip()
    if not name:
        raise ChangeRefused(say("api-devices-add-device-needs"))
    profile = read_profile(new.text) if new.text else shipped_profiles().get(new.code or "")
    if profile is None:
        raise ChangeRefused(say("api-devices-add-choose-profile"))
    address = address_of(new.host, new.port, new.unit)
    data = profile.model_dump(mode="json")
    return view_device(
        devices.add_device(name, data, address.host, address.port, address.unit, site=(new.site or "").strip() or None)
    )


@router.delete("/devices/{device_id}", status_code=204)
@with_connection
def remove(device_id: int) -> None:
    """Forget a device; what was written to it stays kept."""
    devices.remove_device(device_id)
    LINKS.forget(device_id)


@router.post("/devices/{device_id}/ask")
@with_connection
def ask(device_id: int) -> DeviceView:
    """Ask a device for everything now; where it does not answer, that is what is told."""
    kept = devices.device(device_id)
    with suppress(DeviceTrouble, Refusal):  # told in the view, with the age of what it said before
        LINKS.read(kept)
    return view_device(kept)


@router.post("/devices/{device_id}/stop")
@with_connection
def stop(device_id: int, said: StopIn) -> WriteAnswer:
    """Stop a device: allowed to whoever sees it, with or without authorisation."""
    return stopped(devices.device(device_id), None, said.who.strip())


@router.delete("/devices/{device_id}/authorisation", status_code=204)
@with_connection
def withdraw(device_id: int) -> None:
    """End the authorisation to write to a device."""
    devices.device(device_id)
    devices.withdraw(device_id)


@router.get("/devices/{device_id}/writes")
@with_connection
def writes(device_id: int) -> list[WriteLine]:
    """The newest writes of a device, also of one that was removed; they are kept for ever."""
    return [
        WriteLine(
            ended=row.ended,
            at=row.at,
            job=row.job.id if row.job else None,
            words=role_words(Role(row.role)) if row.role in set(Role) else row.role,
            address=row.address,
            before=row.before,
            wanted=row.wanted,
            after=row.after,
            outcome=row.outcome,
            who=row.who,
        )
        for row in devices.writes_of(device_id)
    ]


@router.put("/devices/{device_id}/trouble")
@with_connection
def make_trouble(device_id: int, said_: TroubleIn) -> DeviceView:
    """Let a simulated device do something wrong, to see what becomes of it."""
    kept = devices.device(device_id)
    simulated_device = simulated_device_of(kept)
    if simulated_device is None:
        raise NotAllowed(say("api-devices-make-trouble"))
    simulated_device.trouble = said_.trouble
    return view_device(kept)


@router.put("/devices/{device_id}/panel")
@with_connection
def set_panel(device_id: int, wanted: PanelIn) -> DeviceView:
    """Let a simulated panel be noisy, drop answers or drift, through its own registers."""
    kept = devices.device(device_id)
    if simulated_device_of(kept) is None or profile_of(kept).kind is not DeviceKind.METER:
        raise NotAllowed(say("api-devices-set-panel"))
    for role, value in zip(SETTINGS_OF_A_PANEL, (wanted.noise, wanted.drop_outs, wanted.drift), strict=True):
        LINKS.link(kept).write(role, value)
    return ask(device_id)


@router.get("/profiles")
def profiles() -> list[ProfileLine]:
    """The profiles that ship."""
    return [_line(profile) for profile in shipped_profiles().values()]


@router.post("/profiles/look")
def look_at_profile(file: ProfileText) -> ProfileLine:
    """What a profile's file says; refused where it overlaps or lies. Nothing is kept."""
    return _line(read_profile(file.text))


def view_device(kept: KeptDevice) -> DeviceView:
    """A device with what it said last."""
    profile, seen = profile_of(kept), LINKS.seen(kept)
    simulated_device = simulated_device_of(kept)
    authorisations = devices.authorisations_of(kept.id)
    return DeviceView(
        id=kept.id,
        name=kept.name,
        kind=profile.kind,
        profile=profile.code,
        profile_name=profile.name,
        traits=profile.traits,
        address=say("api-devices-view-device", host=kept.host, port=kept.port, unit=kept.unit),
        simulated_device=kept.simulated_device is not None,
        site=kept.site,
        of_bench=is_of_bench(kept),
        fresh=seen.at is not None and seen.trouble is None,
        trouble=seen.trouble,
        answered=seen.at,
        age_s=(datetime.now(UTC) - seen.at).total_seconds() if seen.at else None,
        values=[
            _value(profile, role, seen.values, seen.refused) for role in _told_roles(profile, seen.values, seen.refused)
        ],
        authorised_until=max((one.until for one in authorisations), default=None),
        authorised_by=authorisations[-1].who if authorisations else None,
        wrong=simulated_device.trouble if simulated_device else None,
        wrongs=list(Trouble) if simulated_device else [],
    )


def _told_roles(profile: DeviceProfile, *answers: dict[Role, Any]) -> list[Role]:
    return [one.role for one in profile.registers if any(one.role in answer for answer in answers)]


def _value(profile: DeviceProfile, role: Role, values: dict[Role, float], refused: dict[Role, str]) -> DeviceValue:
    register = profile.register(role)
    if register is None:
        raise UnknownItem(say("api-devices-value", profile=profile.name, role=role))
    return DeviceValue(
        role=role,
        words=role_words(role),
        address=register.address,
        kind=register.kind,
        writable=register.access == "write",
        shown=said(profile, role, values[role]) if role in values else (),
        refused=refused.get(role),
    )


def _line(profile: DeviceProfile) -> ProfileLine:
    return ProfileLine(
        code=profile.code,
        name=profile.name,
        kind=profile.kind,
        registers=len(profile.registers),
        writable=sum(one.access == "write" for one in profile.registers),
        traits=profile.traits,
    )
