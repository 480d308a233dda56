"""The application with simulated machines that run faster than time: ``python -m tests.faster``, arguments as ``modest_rotor.serve``.

A browser test that sets a drive up would else wait for ramps and hunting loops in their own time.
"""

from __future__ import annotations

import runpy
import time

from modest_rotor.devices import links, loop_run, reading, simulated_devices, sweep_run
from tests.machine_time import SLOW_MACHINE_S

FASTER = 4.0
"""So many seconds of a simulated machine pass in one."""


def clock() -> float:
    """Seconds of the simulated machines."""
    return FASTER * time.monotonic()


if __name__ == "__main__":
    simulated_devices.start_simulated_devices.__defaults__ = (clock,)
    loop_run.now = clock
    links.TIMEOUT_S = SLOW_MACHINE_S
    for module, name in ((loop_run, "LOOK_EVERY_S"), (sweep_run, "LOOK_EVERY_S"), (reading, "LOOK_AGAIN_S")):
        setattr(module, name, getattr(module, name) / FASTER)
    runpy.run_module("modest_rotor.serve", run_name="__main__")
