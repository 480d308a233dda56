"""How quick the machine room is: one point, a job, a fleet, a fit; as milliseconds here and as ratios that hold elsewhere.

``python benchmarks/speed.py`` on a quiet machine. Every figure is a median over a few turns; the fleet's memory is the peak
of this whole process.
"""

from __future__ import annotations

import gc
import resource
import statistics
import subprocess
import sys
import time
from collections.abc import Callable
from dataclasses import replace
from importlib.resources import files
from pathlib import Path

import numpy as np
from scipy.optimize import brentq

ROOT = Path(__file__).resolve().parents[1]
sys.path.insert(0, str(ROOT))

from tests.core.identify.test_fit import READING  # noqa: E402
from tests.machines import BLOWER, CFM, IN_WG, WHEEL_1300, fitted, rated  # noqa: E402

from benchmarks.door import with_steps  # noqa: E402
from benchmarks.scale import few  # noqa: E402
from modest_rotor.core.assess import assess, build_case, fit_job, loaded  # noqa: E402
from modest_rotor.core.identify.fit import fit_motor  # noqa: E402
from modest_rotor.core.job import Job  # noqa: E402
from modest_rotor.core.options.contract import Asked, Demand, OptionKind  # noqa: E402
from modest_rotor.core.options.found_machine import FoundMachine  # noqa: E402
from modest_rotor.core.options.registry import BY_KIND  # noqa: E402
from modest_rotor.core.physics.fan import MachineCurve  # noqa: E402
from modest_rotor.core.physics.fleet import settle_fleet  # noqa: E402
from modest_rotor.core.physics.load import Load  # noqa: E402
from modest_rotor.core.physics.operating_point import InductionMotor, changed, characteristic, settle, settle_on  # noqa: E402
from modest_rotor.core.physics.supply import Supply  # noqa: E402
from modest_rotor.core.physics.system import SystemCurve, system_through  # noqa: E402
from modest_rotor.core.stations.duty import PartFlow  # noqa: E402
from modest_rotor.core.stations.options import Candidate  # noqa: E402
from modest_rotor.formats.job_file import read_job  # noqa: E402

FLEET, STEPS = few(10_000, 120), 12
SCALAR_SHARE = 60
"""One motor in so many is solved by the plain loop, whose time is then multiplied."""


def median_ms(work: Callable[[], object], runs: int) -> float:
    """Median time of a call, ms; the first is for warming up."""
    taken = []
    for _ in range(few(runs, 1) + 1):
        start = time.perf_counter()
        work()
        taken.append(time.perf_counter() - start)
    return 1000 * statistics.median(taken[1:])


def one_point() -> None:
    """A blower motor on its wheel, in a free duct and in one where a pressure is held."""
    motor, supply = fitted(BLOWER).motor, rated(BLOWER)
    known = characteristic(motor, supply)
    print("one operating point, its motor's characteristic at hand: under 1 ms wanted")
    for name, held in (("free duct", 0.0), ("60 Pa held", 60.0)):
        load = Load(WHEEL_1300, 1075.0, system_through(1300 * CFM, 0.85 * IN_WG, held))
        warm, cold = (
            median_ms(lambda load=load: settle_on(known, load), 400),
            median_ms(lambda load=load: settle(motor, supply, load), 400),
        )
        print(f"  {name:24}{warm:8.2f} ms; with the characteristic worked out as well {cold:.2f} ms")


def one_job() -> None:
    """The demo air handler with twelve steps. No job keeps its motor twice: twelve options are one kept, one of the same kind,
    five electronic ones and five on drives.
    """
    job = read_job(files("modest_rotor.demo").joinpath("waiting_hall_air_handler.json").read_text(encoding="utf-8"))
    job = with_steps(job, STEPS)
    fit = fit_job(job)
    found = build_case(job, fit).machine
    assert isinstance(found, FoundMachine)
    demands = tuple(Demand(f"s{i}", float(share)) for i, share in enumerate(np.linspace(0.4, 1.0, STEPS)))
    asked = Asked(PartFlow.THROTTLE)
    usual = [BY_KIND[kind] for kind in (OptionKind.KEEP, OptionKind.SAME_KIND, OptionKind.ELECTRONIC, OptionKind.DRIVE)]
    twelve = (*usual[:2], *usual[2:3] * 5, *usual[3:] * 5)
    solved = median_ms(lambda: [option.solve(found, demands, asked) for option in twelve], 15)
    print("a job with 12 options by 12 duty steps with uncertainties: under 60 ms wanted")
    print(f"  twelve options solved {solved:14.1f} ms")
    candidates = job.document.options.candidates
    for count in (3, len(candidates)):
        some = with_candidates(job, candidates[:count])
        print(
            f"  the whole assessment, {1 + count} options {median_ms(lambda some=some: assess(some, fit, workings=False), 15):4.1f} ms"
        )
    print(
        f"  what a loading filter does to them {median_ms(lambda: loaded(job, fit), 15):4.1f} ms, asked for by itself"
    )
    for option in BY_KIND.values():
        print(f"    {option.kind:34} {median_ms(lambda option=option: option.solve(found, demands, asked), 5):6.1f} ms")


def with_candidates(job: Job, candidates: tuple[Candidate, ...]) -> Job:
    """The job with some of its options."""
    options = job.document.options.model_copy(update={"candidates": candidates})
    return job.model_copy(update={"document": job.document.model_copy(update={"options": options})})


def one_fit() -> None:
    """A plate, and a plate with ten readings."""
    ten = tuple(
        replace(READING, name=f"set {i}", speed=1080.0 + i, current=3.10 - 0.02 * i, input_power=570.0 - 4 * i)
        for i in range(10)
    )
    print("a fit: under 60 ms for a plate, under 150 ms with ten readings wanted")
    print(
        f"  plate {median_ms(lambda: fit_motor(BLOWER), 20):14.1f} ms; ten readings {median_ms(lambda: fit_motor(BLOWER, ten), 10):.1f} ms"
    )


def fleet() -> tuple[InductionMotor, Supply, Load]:
    """Motors that the blower's plate allows, each on twelve ducts."""
    fit = fitted(BLOWER)
    rng = np.random.default_rng(5)
    spread = np.sqrt(np.diag(fit.covariance)) * 0.3
    numbers = fit.numbers + spread * rng.standard_normal((FLEET, 1, len(fit.numbers)))
    tight = np.geomspace(0.8, 2.5, STEPS)
    system = SystemCurve(25.0 + 0 * tight, 0.85 * IN_WG / (1300 * CFM) ** 2 * tight)
    machine_type = MachineCurve(
        WHEEL_1300.shape, 1300 * CFM, 0.85 * IN_WG, 330.0 * rng.uniform(0.9, 1.05, (FLEET, 1)), 1.1
    )
    return fit.family.motor(numbers), rated(BLOWER), Load(machine_type, 1075.0, system)


def plain_loop(motor: InductionMotor, supply: Supply, load: Load, count: int) -> float:
    """Seconds of a loop over single points with a library's scalar root-finder, for the first ``count`` motors."""
    start = time.perf_counter()
    for row in range(count):
        one = changed(motor, lambda value, row=row: value[row, 0].item())
        for step in range(STEPS):
            here = replace(
                load,
                machine=replace(load.machine, power=float(load.machine.power[row, 0])),
                system=SystemCurve(float(load.system.fixed_pressure[step]), float(load.system.coefficient[step])),
            )

            def surplus(slip: float, one: InductionMotor = one, here: Load = here) -> float:
                at = one.at_slip(supply, slip)
                return float(at.torque_nm - here.at_motor_speed(at.speed_rpm).torque_nm)

            brentq(surplus, 1e-3, 0.3, xtol=1e-12)
    return time.perf_counter() - start


def many() -> None:
    """Ten thousand motors by twelve duty steps, against a plain loop over single points."""
    motor, supply, load = fleet()
    start = time.perf_counter()
    point = settle_fleet(motor, supply, load)
    together = time.perf_counter() - start
    count = FLEET // SCALAR_SHARE
    loop = plain_loop(motor, supply, load, count) * FLEET / count
    peak = resource.getrusage(resource.RUSAGE_SELF).ru_maxrss / 2**20
    print(f"{FLEET:,} motors by {STEPS} steps: under 10 s, 50 times a plain loop, under 1 GiB wanted")
    print(
        f"  together {together:.1f} s ({point.motor.speed_rpm.shape}); a plain loop {loop:.0f} s, {loop / together:.0f} times; peak {peak:.2f} GiB"
    )


def importing() -> None:
    """A fresh interpreter that imports the core."""
    command = [
        sys.executable,
        "-c",
        "import time; a = time.perf_counter(); import modest_rotor.core.assess; print(time.perf_counter() - a)",
    ]
    taken = [float(subprocess.run(command, capture_output=True, text=True, check=True).stdout) for _ in range(5)]
    print(f"importing the core: {statistics.median(taken):.2f} s; under 0.4 s wanted")


def main() -> None:
    """All of it."""
    gc.freeze()  # as the solvers do
    for part in (importing, one_point, one_fit, one_job, many):
        part()


if __name__ == "__main__":
    main()
