"""The simulated devices of this run: started, kept as devices under their new ports, and known again when something is to be written."""

from __future__ import annotations

import time
from collections.abc import Callable

from modest_rotor.core.errors import ChangeRefused
from modest_rotor.core.say import say
from modest_rotor.devices.bench_rig import PANEL
from modest_rotor.fieldbus.demo import demo_devices
from modest_rotor.fieldbus.profile import shipped_profiles
from modest_rotor.fieldbus.simulated import HOST, SimulatedDevice, SimulatedDevices
from modest_rotor.store.devices import KeptDevice, add_device

BENCH_PANEL = "bench-panel"
_running: list[SimulatedDevices] = []


def start_simulated_devices(clock: Callable[[], float] = time.monotonic) -> SimulatedDevices:
    """Start the simulated devices that ship, the Bench's panel among them, and keep them as devices."""
    bench = SimulatedDevice(
        BENCH_PANEL, say("simulated-devices-start-simulated-devices"), shipped_profiles()["gull-panel"], PANEL, seed=17
    )
    running = SimulatedDevices((*demo_devices(clock), bench)).start()
    _running.append(running)
    for device in running.devices:
        profile = device.profile.model_dump(mode="json")
        add_device(device.name, profile, HOST, device.port, 1, simulated_device=device.key, site=device.site)
    return running


def stop_simulated_devices() -> None:
    """Let them fall silent."""
    while _running:
        _running.pop().stop()


def simulated_device_of(kept: KeptDevice) -> SimulatedDevice | None:
    """The simulated device behind a device, if it runs here at this very address: the only thing that is written to without leave."""
    if kept.simulated_device is None or kept.host != HOST:
        return None
    found = (device for running in _running for device in running.devices if device.key == kept.simulated_device)
    return next((device for device in found if device.port == kept.port), None)


def is_of_bench(kept: KeptDevice) -> bool:
    """Whether a device stands on the Bench, where everything is simulated to learn on."""
    return kept.simulated_device == BENCH_PANEL


def refuse_bench(kept: KeptDevice) -> None:
    """Keep the Bench out of jobs. :raises ChangeRefused: the device stands on the Bench."""
    if is_of_bench(kept):
        raise ChangeRefused(say("simulated-devices-refuse-bench", kept=kept.name))
