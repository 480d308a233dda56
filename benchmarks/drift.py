"""False alarms on simulated healthy years, and detections of planted faults, of the log's judgement.

    .venv/bin/python -m benchmarks.drift [years for each machine]

Machines are those of the core with a year of readings: what every meter scatters, a season in the air, a duty that wanders. The
equations that plant a fault are those that look for it, so the figures are optimistic.
"""

from __future__ import annotations

import sys
import time

import numpy as np

from modest_rotor.core.drift.judge import Judgement, judge
from modest_rotor.core.drift.log import Log
from modest_rotor.core.identify.causes import solve_causes
from modest_rotor.core.identify.fit import fit_motor
from modest_rotor.core.identify.motor import MotorKind, PlateFacts
from modest_rotor.core.identify.perturb import Change, Needle, Setup, needles, perturbed
from modest_rotor.core.physics.electronic import Command, ElectronicMotor
from modest_rotor.core.physics.fan import MachineCurve, Wheel, generic_shape
from modest_rotor.core.physics.load import Load
from modest_rotor.core.physics.supply import Supply
from modest_rotor.core.physics.system import system_through

YEAR_D = 365.0
COLUMNS = {"voltage": Needle.VOLTS, "current": Needle.AMPS, "input_power": Needle.WATTS, "speed": Needle.SPEED, "static": Needle.PRESSURE, "airflow": Needle.FLOW}  # fmt: skip
NOISE = {"voltage": 0.006, "current": 0.01, "input_power": 0.01, "speed": 0.0006, "static": 0.02, "airflow": 0.025}
FAULTS = {
    "filter or coil loaded": (Change.FILTER_LOADED, 1.5),
    "filter a little loaded": (Change.FILTER_LOADED, 1.2),
    "duct too tight": (Change.TIGHTER, 1.5),
    "wheel fouled": (Change.FOULED, 0.88),
    "drag or bearings": (Change.DRAG, 0.10),
    "volts low": (Change.VOLTS_LOW, 0.93),
    "run capacitor weak": (Change.CAPACITOR_WEAK, 0.7),
}
ALIKE = {"filter a little loaded": "filter or coil loaded"}


def machines() -> dict[str, Setup]:
    """One of each: motor, wheel, way of command."""

    def load(wheel: Wheel, flow: float, pressure: float, power: float, speed: float) -> Load:
        return Load(
            MachineCurve(generic_shape(wheel), flow, pressure, power, 1.0), speed, system_through(flow, pressure, 0.0)
        )

    blower = fit_motor(PlateFacts.of(MotorKind.SPLIT_CAPACITOR, 373.0, 230.0, 3.2, 1075.0, 60.0, 7.5e-6)).motor
    hall = fit_motor(PlateFacts.of(MotorKind.THREE_PHASE, 1500.0, 400.0, 3.4, 1435.0, 50.0)).motor
    electronic = ElectronicMotor(560.0, 1100.0)
    forward = load(Wheel.FORWARD_CURVED, 0.7, 170.0, 320.0, 1075.0)
    return {
        "capacitor motor, forward-curved": Setup(blower, Supply(230.0, 60.0), forward),
        "three-phase, backward-inclined": Setup(
            hall, Supply(400.0, 50.0), load(Wheel.BACKWARD_INCLINED, 2.1, 388.0, 1300.0, 1444.0)
        ),
        "electronic, speed held": Setup(electronic, Supply(230.0, 60.0), forward, Command.SPEED, 1075.0),
        "electronic, torque held": Setup(electronic, Supply(230.0, 60.0), forward, Command.TORQUE, 0.58),
        "electronic, airflow held": Setup(electronic, Supply(230.0, 60.0), forward, Command.AIRFLOW, 0.7),
    }


def a_year(setup: Setup, rng: np.random.Generator, fault: str | None = None, readings: int = 365) -> Log:
    """A year of readings on one setting; a planted fault begins in the fifth month and grows until the year's end."""
    days = np.sort(rng.uniform(0, YEAR_D, readings))
    before = needles(setup.settled())
    grown = np.clip((days - 140) / (YEAR_D - 140), 0, 1)
    after = before
    if fault:
        change, size = FAULTS[fault]
        after = needles(perturbed(setup, change, size).settled())
    season = 12 + 12 * np.sin(2 * np.pi * (days + rng.uniform(0, 365)) / YEAR_D)
    dense = 293.15 / (season + 273.15)
    wander = {name: np.cumsum(rng.normal(0, 1, readings)) / np.sqrt(readings) for name in COLUMNS}
    columns = {"air": season}
    for name, needle in COLUMNS.items():
        if needle is Needle.VOLTS:
            was = float(setup.supply.voltage)
            now = was * (FAULTS[fault][1] if fault == "volts low" else 1.0)
        else:
            was, now = (float(np.ravel(state[needle])[0]) for state in (before, after))
        path = np.exp(np.log(was) + grown * np.log(max(now, 1e-9) / was))
        if name in ("input_power", "static", "current"):
            path = path * dense
        own = 0.002 if needle is Needle.SPEED else 0.006
        wild = np.where(rng.random(readings) < 0.02, rng.uniform(0.7, 1.3, readings), 1.0)
        columns[name] = path * np.exp(rng.normal(0, NOISE[name], readings) + own * 0.5 * wander[name]) * wild
    return Log(days, ("full",) * readings, ("panel",) * readings, columns)


def main(years: int) -> None:
    """Print the tables."""
    rng = np.random.default_rng(20261126)
    print(
        f"healthy years: {years} for each machine; planted faults: {max(years // 4, 10)} for each, found at the year's end"
    )
    alarms = total = 0
    for name, setup in machines().items():
        solved = solve_causes(setup, "fan", belted=False)
        false = sum(_drifts(judge(a_year(setup, rng), (), None, True)) for _ in range(years))
        alarms, total = alarms + false, total + years
        print(f"\n{name}: false alarms {false} of {years}")
        for fault in FAULTS:
            try:
                perturbed(setup, *FAULTS[fault])
            except Exception:  # a part that this machine does not have
                continue
            found = first = 0
            count = max(years // 4, 10)
            for _ in range(count):
                judged = judge(a_year(setup, rng, fault), (), solved, True)
                if _drifts(judged):
                    found += 1
                    names = [rung.cause.name for rung in judged.causes[:2]]
                    first += ALIKE.get(fault, fault) in names
            print(f"  {fault:<23} found {found:>3} of {count}, its cause first or second {first:>3}")
    print(f"\nfalse alarms of all: {alarms} of {total} years ({100 * alarms / total:.1f} %)")
    began = time.perf_counter()
    judge(a_year(setup, rng, readings=10_000), (), None, True)
    print(f"10,000 readings judged in {1000 * (time.perf_counter() - began):.0f} ms")


def _drifts(judged: Judgement | str) -> bool:
    return isinstance(judged, Judgement) and judged.drifts


if __name__ == "__main__":
    main(int(sys.argv[1]) if len(sys.argv) > 1 else 200)
