"""A job's panel read into its sets and settings tried, with the command that its device holds."""

from __future__ import annotations

import time
from typing import Any

from modest_rotor.core.entry import entry_said
from modest_rotor.core.errors import ChangeRefused
from modest_rotor.core.say import say
from modest_rotor.core.setup.command import share_of_signal
from modest_rotor.core.stations.traits import SignalTraits
from modest_rotor.devices.links import LINKS, profile_of
from modest_rotor.fieldbus.profile import DeviceKind, Role
from modest_rotor.store import devices
from modest_rotor.store.devices import KeptDevice
from modest_rotor.store.jobs import StoredJob

LOOK_AGAIN_S, STEADY_SHARE = 0.6, 0.005
"""Seconds between two looks, and the share by which a steady machine may differ between them. Our judgement, no source."""
METERED = {
    "voltage": Role.VOLTAGE,
    "current": Role.CURRENT,
    "input_power": Role.INPUT_POWER,
    "power_factor": Role.POWER_FACTOR,
    "speed": Role.SPEED,
    "supply_static": Role.SUPPLY_STATIC,
    "return_static": Role.RETURN_STATIC,
    "entering": Role.ENTERING,
    "leaving": Role.LEAVING,
    "airflow": Role.AIRFLOW,
}
QUANTITY_OF_FIELD = {
    "power_factor": "read_power_factor",
    "supply_static": "supply_static_pressure",
    "return_static": "return_static_pressure",
    "entering": "temperature",
    "leaving": "temperature",
}


def panel_set(stored: StoredJob) -> dict[str, Any]:
    """A set of readings as the job's panel shows it now, as plain data.

    :raises DeviceTrouble: it does not answer. :raises ChangeRefused: a value that its profile does not believe.
    """
    panel = devices.device_named(stored.job.document.setup.panel)
    refuse_unsteady(stored)
    read = LINKS.read(panel)
    if read.refused:
        raise ChangeRefused(say("reading-panel-set-set-made", next=next(iter(read.refused.values()))))
    told: dict[str, Any] = {"note": say("reading-panel-set-read", panel=panel.name)}
    for field, role in METERED.items():
        if role in read.values:
            told[field] = entry_in_site_units(QUANTITY_OF_FIELD.get(field, field), read.values[role], stored)
    return told | setting_now(stored)


def panel_trial(stored: StoredJob) -> dict[str, Any]:
    """Flow, or what stands for it, from the panel; and the setting that the device holds."""
    panel = devices.device_named(stored.job.document.setup.panel)
    refuse_unsteady(stored)
    read = LINKS.read(panel)
    if Role.AIRFLOW in read.refused or read.values.get(Role.SPEED, 1.0) <= 0:
        raise ChangeRefused(read.refused.get(Role.AIRFLOW, say("reading-panel-trial-machine-stands")))
    told: dict[str, Any] = {"source": panel.name}
    if Role.AIRFLOW in read.values:
        told["airflow"] = entry_in_site_units("airflow", read.values[Role.AIRFLOW], stored)
    elif Role.SUPPLY_STATIC in read.values and Role.RETURN_STATIC in read.values:
        across = read.values[Role.SUPPLY_STATIC] - read.values[Role.RETURN_STATIC]
        told["static"] = entry_in_site_units("pressure", across, stored)
    else:
        raise ChangeRefused(say("reading-panel-trial-reads-flow", panel=panel.name))
    return told | setting_now(stored)


def refuse_unsteady(stored: StoredJob) -> None:
    """Refuse a reading while the machine is still on its way to what it was told, as its own device says.

    :raises ChangeRefused: its speed or hertz moved between two looks.
    """
    kept = named_or_none(stored.job.document.setup.device)
    if kept is not None and not is_steady(kept):
        raise ChangeRefused(say("reading-refuse-unsteady"))


def is_steady(kept: KeptDevice) -> bool:
    """Whether a device's hertz, or its speed where it tells none, stands between two looks; one that tells neither counts as steady.

    :raises DeviceTrouble: it does not answer.
    """
    profile = profile_of(kept)
    role = next((one for one in (Role.OUTPUT_FREQUENCY, Role.SPEED) if profile.register(one)), None)
    if role is None:
        return True
    first = LINKS.link(kept).read((role,)).values.get(role)
    time.sleep(LOOK_AGAIN_S)
    second = LINKS.link(kept).read((role,)).values.get(role)
    return first is None or second is None or abs(second - first) <= STEADY_SHARE * max(abs(first), abs(second))


def setting_now(stored: StoredJob) -> dict[str, Any]:
    """The command that the chosen device holds, as a share or as hertz; nothing where none is chosen."""
    setup = stored.job.document.setup
    kept = named_or_none(setup.device)
    if kept is None:
        return {}
    profile, link = profile_of(kept), LINKS.link(kept)
    if profile.kind is DeviceKind.DRIVE:
        hertz = link.read((Role.OUTPUT_FREQUENCY,)).values[Role.OUTPUT_FREQUENCY]
        return {"frequency": entry_in_site_units("output_frequency", hertz, stored)}
    if profile.register(Role.SIGNAL_INPUT):
        volts = link.read((Role.SIGNAL_INPUT,)).values[Role.SIGNAL_INPUT]
        share = share_of_signal(profile.traits.signal or SignalTraits(), volts)
        return {"signal": entry_in_site_units("signal", share, stored)}
    return {}


def entry_in_site_units(name: str, si: float, stored: StoredJob) -> dict[str, Any]:
    """A value that a device said, as an entry in the units of the job's site."""
    return entry_said(name, si, stored.job.site.units).model_dump(mode="json")


def named_or_none(name: str | None) -> KeptDevice | None:
    """The device of a name, if one is kept under it."""
    return next((one for one in devices.all_devices() if one.name == name), None) if name else None
