"""False alarms on simulated healthy years, and detections of planted faults, of the log's judgement.

    .venv/bin/python -m benchmarks.drift [years for each machine]

Machines are those of the core with a year of readings: what every meter scatters, a season in the air, a duty that wanders. The
equations that plant a fault are those that look for it, so the figures are optimistic.
"""

from __future__ import annotations

import sys
import time

import numpy as np

from benchmarks.scale import few
from modest_rotor.core.drift.judge import Judgement, judge
from modest_rotor.core.drift.simulated import Fault, simulated_year
from modest_rotor.core.identify.causes import solve_causes
from modest_rotor.core.identify.fit import fit_motor
from modest_rotor.core.identify.motor import MotorKind, PlateFacts
from modest_rotor.core.identify.perturb import Change, Setup, perturbed
from modest_rotor.core.physics.electronic import Command, ElectronicMotor
from modest_rotor.core.physics.fan import MachineCurve, MachineType, generic_shape
from modest_rotor.core.physics.load import Load
from modest_rotor.core.physics.supply import Supply
from modest_rotor.core.physics.system import system_through

FEWEST = few(10, 2)
"""Years with a fault, of each fault and machine, at the least."""
FAULTS = {
    "filter or coil loaded": Fault(Change.FILTER_LOADED, 1.5),
    "filter a little loaded": Fault(Change.FILTER_LOADED, 1.2),
    "duct too tight": Fault(Change.TIGHTER, 1.5),
    "wheel fouled": Fault(Change.FOULED, 0.88),
    "drag or bearings": Fault(Change.DRAG, 0.10),
    "volts low": Fault(Change.VOLTS_LOW, 0.93),
    "run capacitor weak": Fault(Change.CAPACITOR_WEAK, 0.7),
}
ALIKE = {"filter a little loaded": "filter or coil loaded"}


def machines() -> dict[str, Setup]:
    """One of each: motor, wheel, way of command."""

    def load(machine_type: MachineType, flow: float, pressure: float, power: float, speed: float) -> Load:
        return Load(
            MachineCurve(generic_shape(machine_type), flow, pressure, power, 1.0),
            speed,
            system_through(flow, pressure, 0.0),
        )

    blower = fit_motor(PlateFacts.of(MotorKind.SPLIT_CAPACITOR, 373.0, 230.0, 3.2, 1075.0, 60.0, 7.5e-6)).motor
    hall = fit_motor(PlateFacts.of(MotorKind.THREE_PHASE, 1500.0, 400.0, 3.4, 1435.0, 50.0)).motor
    electronic = ElectronicMotor(560.0, 1100.0)
    forward = load(MachineType.FORWARD_CURVED, 0.7, 170.0, 320.0, 1075.0)
    return {
        "capacitor motor, forward-curved": Setup(blower, Supply(230.0, 60.0), forward),
        "three-phase, backward-inclined": Setup(
            hall, Supply(400.0, 50.0), load(MachineType.BACKWARD_INCLINED, 2.1, 388.0, 1300.0, 1444.0)
        ),
        "electronic, speed held": Setup(electronic, Supply(230.0, 60.0), forward, Command.SPEED, 1075.0),
        "electronic, torque held": Setup(electronic, Supply(230.0, 60.0), forward, Command.TORQUE, 0.58),
        "electronic, airflow held": Setup(electronic, Supply(230.0, 60.0), forward, Command.AIRFLOW, 0.7),
    }


def main(years: int) -> None:
    """Print the tables."""
    rng = np.random.default_rng(20261126)
    print(
        f"healthy years: {years} for each machine; planted faults: {max(years // 4, FEWEST)} for each, found at the year's end"
    )
    alarms = total = 0
    for name, setup in list(machines().items())[: few(5, 2)]:
        solved = solve_causes(setup, "fan", belted=False)
        false = sum(_drifts(judge(simulated_year(setup, rng), (), None, True)) for _ in range(years))
        alarms, total = alarms + false, total + years
        print(f"\n{name}: false alarms {false} of {years}")
        for fault in FAULTS:
            try:
                perturbed(setup, FAULTS[fault].change, FAULTS[fault].size)
            except Exception:  # a part that this machine does not have
                continue
            found = first = 0
            count = max(years // 4, FEWEST)
            for _ in range(count):
                judged = judge(simulated_year(setup, rng, FAULTS[fault]), (), solved, True)
                if _drifts(judged):
                    found += 1
                    names = [weighed.cause.name for weighed in judged.causes[:2]]
                    first += ALIKE.get(fault, fault) in names
            print(f"  {fault:<23} found {found:>3} of {count}, its cause first or second {first:>3}")
    print(f"\nfalse alarms of all: {alarms} of {total} years ({100 * alarms / total:.1f} %)")
    began = time.perf_counter()
    judge(simulated_year(setup, rng, readings=10_000), (), None, True)
    print(f"10,000 readings judged in {1000 * (time.perf_counter() - began):.0f} ms")


def _drifts(judged: Judgement | str) -> bool:
    return isinstance(judged, Judgement) and judged.drifts


if __name__ == "__main__":
    main(int(sys.argv[1]) if len(sys.argv) > 1 else 200)
