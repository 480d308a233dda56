"""How well shaft power and flow are estimated: simulated motors and machines that differ in structure from the estimator.

``python -m benchmarks.estimation [cases]``. A third of the motors is drawn away from what the estimator expects. Printed:
for each method and load the error in percent of the truth, median (95 % range), and how often the stated 95 % uncertainty holds
the truth; then the planted faults: how often each is flagged, and the false alarms.
"""

from __future__ import annotations

import math
import sys
from collections.abc import Iterable
from contextlib import suppress
from dataclasses import dataclass, replace

import numpy as np

from benchmarks.scale import few
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import Estimate, measured
from modest_rotor.core.identify.candidate import Tap, candidates
from modest_rotor.core.identify.doubt import disagrees
from modest_rotor.core.identify.efficiency import typical_efficiency, typical_motor
from modest_rotor.core.identify.fit import fit_motor
from modest_rotor.core.identify.flow import TABLE_POWER_SD, TABLE_PRESSURE_SD, TAP_POSITION_SD, locate
from modest_rotor.core.identify.load import Running, load_by_amps, load_by_slip, load_by_watts
from modest_rotor.core.identify.motor import MotorKind, PlateFacts
from modest_rotor.core.identify.rows import Reading
from modest_rotor.core.identify.shaft_power import FittedMethod, by_method
from modest_rotor.core.physics.fan import MachineCurve, MachineType, generic_shape
from modest_rotor.core.physics.motor_point import MotorPoint
from modest_rotor.core.physics.supply import Supply
from modest_rotor.core.physics.two_axis import TwoAxisMotor

SEED = 20261125
BINS = (("over 75 %", 0.75, 1.3), ("40 to 75 %", 0.40, 0.75), ("under 40 %", 0.12, 0.40))
FRAMES = ((115.0, 60.0, 4), (230.0, 60.0, 6), (230.0, 60.0, 4), (230.0, 50.0, 4), (277.0, 60.0, 6))
SLIPS = np.geomspace(0.004, 0.6, 220)
TAP_KNOWN = 0.06
"""Spread of what is known of a tap's extra turns, from the ohmmeter or from readings on both taps."""
MACHINE_TYPES = (
    MachineType.FORWARD_CURVED,
    MachineType.FORWARD_CURVED,
    MachineType.FORWARD_CURVED,
    MachineType.BACKWARD_INCLINED,
    MachineType.AXIAL,
)


@dataclass(frozen=True)
class Truth:
    """A motor as made, its plate, and how far it is from typical."""

    motor: TwoAxisMotor
    plate: PlateFacts
    off_centre: bool
    tap_in_line: float
    low_tap: float
    rise: float
    ambient: float
    rated_loss: float


@dataclass(frozen=True)
class Case:
    """One running condition: what is true, and what the meters say."""

    truth: Truth
    load: float
    shaft_power: float
    reading: Reading
    machine: MachineCurve
    table: MachineCurve
    flow: float
    pressure: float
    pressure_sd: float
    true_speed: float
    tap_turns: float


def draw_truth(rng: np.random.Generator, off_centre: bool) -> Truth | None:
    """A motor that somebody would sell, or nothing when the dice made one that nobody would."""
    volts, hertz, poles = FRAMES[rng.integers(len(FRAMES))]
    power = float(np.exp(rng.uniform(np.log(90), np.log(750))))
    nominal_slip = rng.uniform(0.045, 0.12)
    synchronous = 120 * hertz / poles
    speed = synchronous * (1 - nominal_slip)
    plate = PlateFacts(
        MotorKind.SPLIT_CAPACITOR, power, volts, None, speed, hertz, poles, synchronous, nominal_slip,
        power / (speed * math.pi / 30), None, 1e-6,
    )  # fmt: skip
    family = candidates(plate)
    z = rng.standard_normal(family.count)
    if off_centre:
        z = z + rng.choice((-1.0, 1.0), family.count)
    base = family.motor(z)
    assert isinstance(base, TwoAxisMotor)
    made = replace(
        base,
        rotor_reactance=base.rotor_reactance * math.exp(0.25 * rng.standard_normal()),
        auxiliary_reactance=base.auxiliary_reactance * math.exp(0.25 * rng.standard_normal()),
        deep_bar=rng.uniform(1.0, 1.7),
        saturation=rng.uniform(0.2, 0.55),
        saturation_exponent=rng.uniform(5.0, 7.0),
        stray_resistance=base.stray_resistance * rng.uniform(0.4, 1.8),
        capacitor_resistance=0.0,
    )
    # The maker chose the capacitor for efficiency near the rated slip, from the sizes that are sold.
    sizes = np.geomspace(0.2, 3.0, 50) * power / (2 * math.pi * hertz * volts**2)
    tried = replace(made, capacitance=sizes).at_slip(Supply(volts, hertz), nominal_slip)
    best = int(
        np.argmax(tried.shaft_power_w / tried.input_power_w - 0.5 * np.maximum(tried.capacitor_voltage_v / 470 - 1, 0))
    )
    label = float(sizes[best])
    label = round(label * 1e6 * 2) / 2e6 if label > 2e-6 else label
    made = replace(made, capacitance=label * math.exp(0.03 * rng.standard_normal()))
    run = made.at_slip(Supply(volts, hertz), SLIPS)
    top = int(np.argmax(run.torque_nm))
    reach = np.flatnonzero(run.shaft_power_w[: top + 1] >= power)
    if not len(reach) or not reach[0]:
        return None
    i = int(reach[0])
    slip = float(np.interp(power, run.shaft_power_w[i - 1 : i + 1], SLIPS[i - 1 : i + 1]))
    at = made.at_slip(Supply(volts, hertz), slip)
    efficiency = power / at.input_power_w
    pull_out = run.torque_nm[top] / at.torque_nm
    if not (0.6 < slip / nominal_slip < 1.6 and 1.3 < pull_out < 3.2 and at.capacitor_voltage_v < 490):
        return None
    if abs(efficiency - typical_efficiency(plate)) > 0.13 or run.current_a[2] > 1.2 * at.current_a:
        return None
    plate_slip = slip * (1 + 0.05 * rng.standard_normal())
    rounding = 5.0
    plate_speed = round(synchronous * (1 - plate_slip) / rounding) * rounding
    amps = at.current_a * (1 + 0.025 * rng.standard_normal())
    plate = replace(
        plate,
        rated_current_a=round(amps, 1), rated_speed_rpm=plate_speed, rated_slip=1 - plate_speed / synchronous,
        rated_torque_nm=power / (plate_speed * math.pi / 30), run_capacitance_f=label,
    )  # fmt: skip
    return Truth(
        made, plate, off_centre, float(rng.random() < 0.6), rng.uniform(0.3, 0.65), 52 * math.exp(0.15 * rng.standard_normal()),
        28 + 5 * rng.standard_normal(), at.total_loss_w,
    )  # fmt: skip


def settle_warm(truth: Truth, supply: Supply, slip: float) -> MotorPoint:
    """The true motor, warm from its own losses."""
    at = truth.motor.at_slip(supply, slip)
    for _ in range(4):
        warm = min(truth.ambient + truth.rise * at.total_loss_w / truth.rated_loss, 190.0)
        supply = replace(supply, winding_c=warm, rotor_c=warm)
        at = truth.motor.at_slip(supply, slip)
    return at


def draw_case(truth: Truth, rng: np.random.Generator, low: bool, wanted: float) -> Case | None:
    """The motor at a share of its rated power on a machine, read by ordinary meters."""
    plate = truth.plate
    assert plate.rated_voltage_v and plate.rated_power_w and plate.frequency_hz and plate.synchronous_speed_rpm
    volts = plate.rated_voltage_v * rng.uniform(0.94, 1.05)
    supply = Supply(volts, plate.frequency_hz, tap=truth.low_tap if low else 0.0, tap_in_line=truth.tap_in_line)
    points = np.array([0.005, 0.01, 0.02, 0.035, 0.05, 0.07, 0.09, 0.12, 0.16, 0.21, 0.27, 0.34, 0.42])
    powers = np.array([settle_warm(truth, supply, float(s)).shaft_power_w for s in points])
    top = int(np.argmax(powers))
    target = wanted * plate.rated_power_w
    if low:
        slip = float(rng.uniform(0.10, 0.36))
    else:
        if powers[top] < target or powers[0] > target:
            return None
        slip = float(np.interp(target, powers[: top + 1], points[: top + 1]))
    at = settle_warm(truth, supply, slip)
    if at.shaft_power_w < 0.05 * plate.rated_power_w:
        return None
    n = at.speed_rpm
    machine_type = MACHINE_TYPES[rng.integers(len(MACHINE_TYPES))]
    shape = generic_shape(machine_type)
    place = rng.uniform(0.55, 0.93 * shape.last_flow)
    pressure = rng.uniform(60.0, 300.0)
    flow = 0.45 * at.shaft_power_w / pressure
    machine = MachineCurve(shape, flow, pressure, float(at.shaft_power_w), place)
    table = replace(
        machine,
        shape=replace(shape, generic=False),
        pressure=pressure * (1 + TABLE_PRESSURE_SD * rng.standard_normal()),
        power=float(at.shaft_power_w) * (1 + TABLE_POWER_SD * rng.standard_normal()),
    )

    def read(value: float, share: float) -> float:
        return value * (1 + share / 1.96 * rng.standard_normal())

    pressure_sd = (0.02 * pressure + 2.0) / 1.96
    static = pressure * (1 + TAP_POSITION_SD * rng.standard_normal()) + pressure_sd * rng.standard_normal()
    reading = Reading(
        "set 1", read(volts, 0.01), plate.frequency_hz, "low tap" if low else None,
        round(n + 0.51 * rng.standard_normal()), read(at.current_a, 0.02), read(at.input_power_w, 0.02),
    )  # fmt: skip
    return Case(
        truth,
        at.shaft_power_w / plate.rated_power_w,
        at.shaft_power_w,
        reading,
        machine,
        table,
        flow,
        static,
        pressure_sd,
        float(n),
        truth.low_tap * math.exp(TAP_KNOWN * rng.standard_normal()),
    )


Ends = tuple[float, float, float]


@dataclass(frozen=True)
class Answers:
    """What the estimator says of a case: value, low and high for each method, watts or flow; ``naive`` by plain formulas."""

    power: dict[str, Ends]
    flow: dict[str, Ends]
    naive: dict[str, Ends]
    alarm: dict[str, bool]


def ends(estimate: Estimate) -> Ends:
    """Value, low, high."""
    return estimate.value, estimate.value - estimate.uncertainty, estimate.value + estimate.uncertainty


def naive_answers(case: Case) -> dict[str, Ends]:
    """Shaft power by the plain formulas of load, and the range that a table of their errors puts round each."""
    plate, reading = case.truth.plate, case.reading
    assert plate.rated_power_w and reading.speed and reading.current and reading.input_power
    running = Running(
        voltage=measured(reading.voltage, voltmeter=0.005 * reading.voltage),
        current=measured(reading.current, clamp=0.01 * reading.current),
        speed=measured(reading.speed, tachometer=0.51),
        input_power=measured(reading.input_power, wattmeter=0.01 * reading.input_power),
        full_tap=reading.tap is None,
    )
    methods = [load_by_slip(running, plate), load_by_amps(running, plate)]
    with suppress(OutsideValidity):  # a wrong plate may deny itself
        methods.append(load_by_watts(running, plate, typical_motor(plate, "this motor")))
    return {
        f"plain formula, {method.method}": tuple(
            math.nan if load is None else load * plate.rated_power_w
            for load in (method.formula_load, method.low, method.high)
        )  # type: ignore[misc]
        for method in methods
    }


def answer(case: Case) -> Answers:
    """Every method on a case."""
    plate, reading = case.truth.plate, case.reading
    taps = (Tap("low tap", case.tap_turns, TAP_KNOWN),)
    bare = fit_motor(plate, (replace(reading, current=None, input_power=None),), taps)
    amps = fit_motor(plate, (replace(reading, input_power=None),), taps)
    full = fit_motor(plate, (reading,), taps)
    power: dict[str, Ends] = {}
    for method in (FittedMethod.SPEED, FittedMethod.AMPS, FittedMethod.WATTS):
        estimate = by_method(bare, 0, method, reading)
        assert estimate
        power[method] = ends(estimate)
    without_w, with_w = by_method(amps, 0, FittedMethod.ALL, reading), by_method(full, 0, FittedMethod.ALL, reading)
    assert without_w and with_w and reading.speed
    power["fitted, speed and amps"], power["fitted, all readings"] = ends(without_w), ends(with_w)
    flow = {}
    alarm = {}
    ratio = reading.speed / case.true_speed
    static = (case.pressure, case.pressure_sd)
    for name, estimate, fit in (("no wattmeter", without_w, amps), ("with watts", with_w, full)):
        place = locate(case.table, ratio, (estimate.value, estimate.standard), static)
        power[f"fused, {name}"] = place.shaft_power.value, place.shaft_power.low, place.shaft_power.high
        flow[f"everything, {name}"] = place.flow.value, place.flow.low, place.flow.high
        alarm[name] = disagrees(fit, bare, place.misfit)
    alone = locate(case.table, ratio, None, static)
    power["machine's table + static"] = alone.shaft_power.value, alone.shaft_power.low, alone.shaft_power.high
    flow["speed + static"] = alone.flow.value, alone.flow.low, alone.flow.high
    return Answers(power, flow, naive_answers(case), alarm)


def faulty(case: Case, fault: str, rng: np.random.Generator) -> Case | None:
    """The case with one thing wrong that the estimator is not told of; nothing where it cannot be."""
    truth, plate, reading = case.truth, case.truth.plate, case.reading
    assert reading.speed and reading.current and plate.rated_power_w and plate.rated_speed_rpm
    if fault.startswith("capacitor"):
        weak = replace(
            truth, motor=replace(truth.motor, capacitance=truth.motor.capacitance * (1 - float(fault[-4:-2]) / 100))
        )
        return draw_case(weak, rng, bool(reading.tap), case.load)
    if fault == "wrong tap believed":
        return replace(case, reading=replace(reading, tap=None)) if reading.tap else None
    if fault == "wheel fouled":
        clean = case.table
        return replace(case, table=replace(clean, pressure=clean.pressure / 0.70, power=clean.power / 0.75))
    if fault == "static tap missing 40 %":
        return replace(case, pressure=0.6 * case.pressure)
    if fault == "amps meter -10 %":
        return replace(case, reading=replace(reading, current=0.9 * reading.current))
    if fault == "speed misread by 30":
        off = 30.0 if reading.speed + 30 < (plate.synchronous_speed_rpm or 0) else -30.0
        return replace(case, reading=replace(reading, speed=reading.speed + off), true_speed=case.true_speed)
    if fault == "wrong power on the plate":
        power = plate.rated_power_w * float(rng.choice((0.5, 2.0)))
        torque = power / (plate.rated_speed_rpm * math.pi / 30)
        return replace(case, truth=replace(truth, plate=replace(plate, rated_power_w=power, rated_torque_nm=torque)))
    return case


FAULTS = {  # what the prototype flagged, percent
    "no fault": "at most 5 and 7", "capacitor -30 %": "-", "capacitor -50 %": "15", "wrong tap believed": "99",
    "wheel fouled": "84", "static tap missing 40 %": "57", "amps meter -10 %": "28", "speed misread by 30": "61",
    "wrong power on the plate": "99",
}  # fmt: skip


def detection(
    cases: list[Case], rng: np.random.Generator, faults: Iterable[str] = tuple(FAULTS)
) -> dict[str, dict[str, float]]:
    """Share of cases flagged for each fault, with and without a wattmeter."""
    shares: dict[str, dict[str, float]] = {}
    for fault in faults:
        wrong = [case for case in (faulty(case, fault, rng) for case in cases) if case]
        answers = [answer(case) for case in wrong]
        shares[fault] = {
            name: float(np.mean([a.alarm[name] for a in answers])) for name in ("with watts", "no wattmeter")
        }
    return shares


def draw_cases(count: int, rng: np.random.Generator) -> list[Case]:
    """Cases at high, middle and low load and on a low tap; every third sold motor lies away from what is typical."""
    cases: list[Case] = []
    sold = 0
    while len(cases) < count:
        truth = draw_truth(rng, off_centre=sold % 3 == 2)
        if truth is None:
            continue
        sold += 1
        wanted = (
            (False, rng.uniform(0.75, 1.15)), (False, rng.uniform(0.40, 0.75)), (False, rng.uniform(0.15, 0.40)), (True, 0.3),
        )  # fmt: skip
        for low, load in wanted:
            with suppress(OutsideValidity):
                case = draw_case(truth, rng, low, load)
                if case:
                    cases.append(case)
    return cases[:count]


Answered = list[tuple[Case, Answers]]


def grouped(answered: Answered) -> dict[str, Answered]:
    """The cases by load, and those on the low tap."""
    groups = {
        name: [pair for pair in answered if not pair[0].reading.tap and low <= pair[0].load < high]
        for name, low, high in BINS
    }
    return {**groups, "low tap": [pair for pair in answered if pair[0].reading.tap]}


def errors_percent(answered: Answered, method: str) -> np.ndarray:
    """Error of shaft power by a method, percent of the truth; only where it gives one."""
    said = [(case, {**answers.power, **answers.naive}[method][0]) for case, answers in answered]
    return np.array([100 * (value / case.shaft_power - 1) for case, value in said if np.isfinite(value)])


def coverage(answered: Answered, method: str) -> float:
    """Share of cases whose truth lies inside the stated 95 % uncertainty, of those where one is stated."""
    said = [(case, {**answers.power, **answers.naive}[method]) for case, answers in answered]
    return float(np.mean([low <= case.shaft_power <= high for case, (_, low, high) in said if np.isfinite(low)]))


def print_table(answered: Answered, off_centre: bool) -> None:
    """One line for each method: median (95 % range) and coverage for each load."""
    chosen = [pair for pair in answered if pair[0].truth.off_centre is off_centre]
    groups = grouped(chosen)
    print(f"\n{'off-prior' if off_centre else 'prior-centred'}, {len(chosen)} cases: " + " | ".join(groups))
    for method in (*answered[0][1].power, *answered[0][1].naive):
        cells = []
        for group in groups.values():
            error = errors_percent(group, method)
            if not len(error):
                cells.append("says nothing")
                continue
            low, middle, high = np.percentile(error, (2.5, 50, 97.5))
            held = f"{100 * coverage(group, method):3.0f} %" if method in answered[0][1].power else "never promised"
            cells.append(f"{middle:+4.0f} ({low:+4.0f} …{high:+4.0f}) {held}")
        print(f"{method:26}", " | ".join(cells))


def main(count: int = 2000) -> None:
    """Draw, answer, print."""
    rng = np.random.default_rng(SEED)
    cases = draw_cases(count, rng)
    answered = [(case, answer(case)) for case in cases]
    print("shaft power, error in percent of the truth: median (95 % range), coverage of the stated 95 % uncertainty")
    for off_centre in (False, True):
        print_table(answered, off_centre)
    print("\ncoverage, both kinds together (93 to 97 % wanted)")
    for method in answered[0][1].power:
        print(f"{method:26} {100 * coverage(answered, method):.1f} %")
    print("\nflow: 95 % range of the error, coverage")
    for method in answered[0][1].flow:
        error = np.array([100 * (a.flow[method][0] / c.flow - 1) for c, a in answered])
        held = np.mean([a.flow[method][1] <= c.flow <= a.flow[method][2] for c, a in answered])
        print(f"{method:26} {np.percentile(error, 2.5):+.0f} … {np.percentile(error, 97.5):+.0f}   {100 * held:.1f} %")
    print_alarms(answered)
    print("\nplanted faults in prior-centred cases, percent flagged: with watts, without; the prototype")
    centred = [case for case in cases if not case.truth.off_centre]
    for fault in list(FAULTS)[1:]:
        shares = detection(centred[: max(count // 2, few(100, 4))], rng, (fault,))[fault]
        told = f"{100 * shares['with watts']:4.0f} {100 * shares['no wattmeter']:4.0f}   {FAULTS[fault]}"
        print(f"{fault:26} {told}", flush=True)


def print_alarms(answered: Answered) -> None:
    """How often a sound case is flagged, both kinds apart."""
    print("\nfalse alarms, percent: with watts, without (at most 5 and 7 wanted)")
    for off_centre in (False, True):
        alarms = [answers.alarm for case, answers in answered if case.truth.off_centre is off_centre]
        told = " ".join(
            f"{100 * np.mean([alarm[name] for alarm in alarms]):5.1f}" for name in ("with watts", "no wattmeter")
        )
        print(f"{'off-prior' if off_centre else 'prior-centred':26} {told}", flush=True)


if __name__ == "__main__":
    main(int(sys.argv[1]) if len(sys.argv) > 1 else 2000)
