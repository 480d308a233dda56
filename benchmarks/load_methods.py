"""How wrong the load methods are, and whether their ranges hold: on simulated split-capacitor motors of known load.

``python benchmarks/load_methods.py [motors]``. Motors are drawn from the spread of ordinary plates, solved by their rotating
fields, read by meters of ordinary accuracy and put through the very methods of the product. Printed for each method and
load: the error of the plain formula in percent of the truth (median, 95 % range), and how often the range that the
product states holds the truth. The machines resemble textbooks (no saturation, warm, high tap), so this is the kind case.
"""

from __future__ import annotations

import sys
from collections.abc import Iterator
from contextlib import suppress
from dataclasses import dataclass

import numpy as np

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import measured
from modest_rotor.core.identify.efficiency import typical_motor
from modest_rotor.core.identify.load import LoadByMethod, Running, best_of, load_by_amps, load_by_slip, load_by_watts
from modest_rotor.core.identify.motor import MotorKind, PlateFacts
from modest_rotor.core.physics.split_capacitor import SplitCapacitorMotor, solve_split_capacitor

SEED = 20261125
VOLTS, SYNCHRONOUS_RPM, SYNCHRONOUS_RAD_S = 230.0, 1200.0, 2 * np.pi * 20
SPREADS = {  # per unit of V² ÷ P_N: centre and standard deviation of the logarithm; our judgement, no source
    "r1": (0.058, 0.40), "x1": (0.088, 0.35), "xm": (1.25, 0.35), "r2": (0.95, 0.35), "a": (1.25, 0.20),
    "core": (0.09, 0.40), "friction": (0.025, 0.45), "ka": (1.6, 0.25),
}  # fmt: skip
ORDINARY = (0.06, 0.25, 0.35)
"""How far efficiency, unloaded amps over full-load amps, and pull-out over rated power scatter about the typical motor:
standard deviations, our judgement, no source. Draws that no maker would sell are thrown away by them."""
SLIPS = np.linspace(0.004, 0.30, 260)
BINS = ((0.75, 1.2), (0.40, 0.75), (0.15, 0.40))


@dataclass(frozen=True)
class Truth:
    """One motor at one load, as its plate and its meters tell it, and the truth."""

    load: float
    plate: PlateFacts
    running: Running


def truths(count: int, rng: np.random.Generator) -> Iterator[Truth]:
    """Motors that reach their rated power before they pull out, each at one random load."""
    while count:
        drawn = _draw(rng)
        if drawn is not None:
            count -= 1
            yield drawn


def _draw(rng: np.random.Generator) -> Truth | None:
    rated = float(np.exp(rng.uniform(np.log(90), np.log(750))))
    rated_slip = rng.uniform(0.05, 0.12)
    base = VOLTS**2 / rated
    p = {name: centre * np.exp(spread * rng.standard_normal()) for name, (centre, spread) in SPREADS.items()}
    friction = p["friction"] * rated

    def motor(reactance: np.ndarray | float) -> SplitCapacitorMotor:
        r1 = p["r1"] * base
        return SplitCapacitorMotor(
            *(np.asarray(v) for v in (r1, p["x1"] * base, p["xm"] * base, p["r2"] * rated_slip * base, p["x1"] * base)),
            np.asarray(p["a"]), np.asarray(p["ka"] * p["a"] ** 2 * r1), np.asarray(p["a"] ** 2 * p["x1"] * base),
            -1j * np.asarray(reactance), np.asarray(VOLTS**2 / (p["core"] * rated)), np.asarray(SYNCHRONOUS_RAD_S),
        )  # fmt: skip

    # The maker chose the capacitor that makes it most efficient near its rated slip.
    choices = np.linspace(0.3, 4.0, 60) * base
    at_rated = solve_split_capacitor(motor(choices), np.asarray(rated_slip), np.asarray(VOLTS))
    chosen = choices[np.argmax((at_rated.mechanical_power_w - friction) / at_rated.input_power_w)]
    run = solve_split_capacitor(motor(chosen), SLIPS, np.asarray(VOLTS))
    shaft, amps = run.mechanical_power_w - friction, np.abs(run.line_current)
    top = int(np.argmax(shaft))
    if shaft[top] < 1.25 * rated or shaft[0] > 0.05 * rated:
        return None
    rising = slice(0, top + 1)
    load = rng.uniform(0.15, 1.15)

    def at(power: float, what: np.ndarray) -> float:
        return float(np.interp(power, shaft[rising], what[rising]))

    seen = (rated / at(rated, run.input_power_w), at(0.0, amps) / at(rated, amps), shaft[top] / rated)
    typical = (0.63 + 0.055 * np.log(rated / 373), 0.60, 1.8)
    strangeness = sum(((one - usual) / spread) ** 2 for one, usual, spread in zip(seen, typical, ORDINARY, strict=True))
    if rng.uniform() > np.exp(-strangeness / 2):
        return None

    speed = SYNCHRONOUS_RPM * (1 - SLIPS)
    plate_speed = SYNCHRONOUS_RPM - (SYNCHRONOUS_RPM - at(rated, speed)) * (1 + 0.10 * rng.standard_normal())
    plate = PlateFacts(
        MotorKind.SPLIT_CAPACITOR, rated, VOLTS, at(rated, amps) * (1 + 0.05 * rng.standard_normal()),
        min(round(plate_speed / 5) * 5, 1190.0), 60.0, 6, SYNCHRONOUS_RPM, None, None,
    )  # fmt: skip
    plate = PlateFacts(**{**plate.__dict__, "rated_slip": 1 - plate.rated_speed_rpm / SYNCHRONOUS_RPM})  # type: ignore[operator]
    watts, current, rpm = at(load * rated, run.input_power_w), at(load * rated, amps), at(load * rated, speed)
    read = [value * (1 + 0.01 * rng.standard_normal()) for value in (watts, current)]
    running = Running(
        voltage=measured(VOLTS, voltmeter=0.005 * VOLTS),
        current=measured(read[1], clamp=0.01 * read[1]),
        speed=measured(rpm + 0.5 * rng.standard_normal(), tachometer=0.5),
        input_power=measured(read[0], wattmeter=0.01 * read[0]),
    )
    return Truth(load, plate, running)


def told(truth: Truth) -> dict[str, LoadByMethod]:
    """What each method of the product says of a truth; a plate that denies itself says nothing by watts."""
    methods = {
        "slip": load_by_slip(truth.running, truth.plate),
        "amps": load_by_amps(truth.running, truth.plate),
    }
    chosen = best_of(tuple(methods.values()))
    if chosen:
        methods["taken without watts"] = chosen
    with suppress(OutsideValidity):
        methods["watts"] = load_by_watts(truth.running, truth.plate, typical_motor(truth.plate, "this motor"))
    return methods


def study(count: int, seed: int = SEED) -> dict[tuple[str, float, float], tuple[np.ndarray, float]]:
    """For each method and range of load: errors of the plain formula in percent, and the coverage of the stated range."""
    cases = [(truth, told(truth)) for truth in truths(count, np.random.default_rng(seed))]
    found = {}
    for name in ("slip", "amps", "watts", "taken without watts"):
        for low, high in BINS:
            here = [
                (t.load, said[name])
                for t, said in cases
                if low <= t.load < high and name in said and said[name].low is not None
            ]
            errors = np.array([100 * (method.formula_load / load - 1) for load, method in here if method.formula_load])
            held = np.mean([method.low <= load <= method.high for load, method in here])
            found[name, low, high] = errors, float(held)
    return found


def main() -> None:
    """Print the table."""
    count = int(sys.argv[1]) if len(sys.argv) > 1 else 3000
    print(f"{'method':22}{'load':>12}{'cases':>8}{'median %':>10}{'95 % of errors':>18}{'range holds %':>15}")
    for (name, low, high), (errors, held) in study(count).items():
        bottom, middle, top = np.percentile(errors, [2.5, 50, 97.5])
        print(
            f"{name:22}{low:5.2f} to {high:4.2f}{len(errors):8}{middle:10.0f}{bottom:9.0f} …{top:6.0f}{100 * held:15.1f}"
        )


if __name__ == "__main__":
    main()
