"""The simulated devices that ship: a drive and an electronic fan, each with a meter panel at the same machine."""

from __future__ import annotations

import time
from collections.abc import Callable

from modest_rotor.core.plant.demo import hall_fan, waiting_hall_blower
from modest_rotor.core.plant.plant import Settings
from modest_rotor.core.stations.traits import DriveTraits, SignalTraits
from modest_rotor.fieldbus.profile import shipped_profiles
from modest_rotor.fieldbus.simulated import RunningPlant, SimulatedDevice

DRIVE, HALL_PANEL, FAN, BLOWER_PANEL = "hall-drive", "hall-panel", "blower-fan", "blower-panel"

HALL_SITE, FERRY_SITE = "Old Net Loft Community Hall", "Quillhaven Ferry Terminal"
"""The demo's sites, at which they stand."""


def demo_devices(clock: Callable[[], float] = time.monotonic) -> tuple[SimulatedDevice, ...]:
    """The four devices, not yet answering.

    :param clock: seconds by which their machines run; a test may let them run faster.
    """
    profiles = shipped_profiles()
    drive, fan, panel = profiles["quay-drive-15"], profiles["slip-fan-75"], profiles["gull-panel"]
    hall = RunningPlant(hall_fan(drive.traits.drive or DriveTraits()), Settings(high_hz=50.0), clock)
    blower = RunningPlant(waiting_hall_blower(fan.traits.signal or SignalTraits()), Settings(run=True), clock)
    return (
        SimulatedDevice(DRIVE, "Hall supply fan, drive", drive, hall, site=HALL_SITE),
        SimulatedDevice(HALL_PANEL, "Hall supply fan, meter panel", panel, hall, seed=11, site=HALL_SITE),
        SimulatedDevice(FAN, "Waiting hall blower, electronic motor", fan, blower, site=FERRY_SITE),
        SimulatedDevice(BLOWER_PANEL, "Waiting hall blower, meter panel", panel, blower, seed=13, site=FERRY_SITE),
    )
