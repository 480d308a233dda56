"""Simulated devices for the tests: a drive, a fan and panels on ports of their own, with plants whose clock the test moves."""

from __future__ import annotations

from collections.abc import Iterator
from contextlib import contextmanager

from modest_rotor.core.plant.demo import hall_fan, waiting_hall_blower
from modest_rotor.core.plant.plant import Settings
from modest_rotor.core.stations.traits import DriveTraits, SignalTraits
from modest_rotor.fieldbus.client import Address, DeviceLink
from modest_rotor.fieldbus.profile import shipped_profiles
from modest_rotor.fieldbus.simulated import HOST, RunningPlant, SimulatedDevice, SimulatedDevices
from tests.machine_time import SLOW_MACHINE_S


class Clock:
    """A clock that a test moves."""

    def __init__(self) -> None:
        self.now = 0.0

    def __call__(self) -> float:
        return self.now


class Running:
    """Three simulated devices that answer."""

    def __init__(self) -> None:
        profiles = shipped_profiles()
        self.clock = Clock()
        self._links: list[DeviceLink] = []
        drive, fan, panel = profiles["quay-drive-15"], profiles["slip-fan-75"], profiles["gull-panel"]
        hall = RunningPlant(hall_fan(drive.traits.drive or DriveTraits()), Settings(high_hz=50.0), self.clock)
        blower = RunningPlant(waiting_hall_blower(fan.traits.signal or SignalTraits()), Settings(run=True), self.clock)
        self.drive = SimulatedDevice("drive", "Drive", drive, hall)
        self.panel = SimulatedDevice("panel", "Panel", panel, hall, seed=11)
        self.fan = SimulatedDevice("fan", "Fan", fan, blower)
        self.simulated_devices = SimulatedDevices((self.drive, self.panel, self.fan))

    def link(self, device: SimulatedDevice, timeout_s: float = SLOW_MACHINE_S) -> DeviceLink:
        """A link of the client to one of them."""
        return self.keep(DeviceLink(device.profile, Address(HOST, device.port), timeout_s))

    def keep(self, link: DeviceLink) -> DeviceLink:
        """A link that is closed with all others."""
        self._links.append(link)
        return link

    def let_go(self) -> None:
        """Close every link."""
        while self._links:
            self._links.pop().close()


@contextmanager
def running() -> Iterator[Running]:
    """Simulated devices for the time of a test."""
    found = Running()
    found.simulated_devices.start()
    try:
        yield found
    finally:
        found.let_go()
        found.simulated_devices.stop()
