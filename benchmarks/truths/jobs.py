"""Whole jobs: a machine as made, its plate as printed, its readings as read, and what every option really takes."""

from __future__ import annotations

import math
from copy import deepcopy
from dataclasses import dataclass, field
from typing import Any

import numpy as np

from benchmarks.truths.electronic import DriveTruth, ElectronicTruth, draw_drive, draw_electronic
from benchmarks.truths.induction import Feed, Motor, draw_capacitor_motor, draw_three_phase_motor, nearest_label
from benchmarks.truths.machines import PUMP, Installed, draw_installed
from benchmarks.truths.reluctance import draw_reluctance

HOURS_IN_A_YEAR = 8760.0
SHARES = (1.0, 0.75, 0.5)
TAPS = (0.45, 0.5875, 0.725, 0.8625, 1.0)
"""Torques of the taps of an electronic motor as its sheet prints them; makers hit them to a few percent."""


@dataclass
class Case:
    """A job as a file holds it, and the truth behind each of its numbers.

    :param truth: by name of what is promised: shaft power, flow, watts by option and step, yearly saving by option.
    """

    kind: str
    plate: str
    readings: str
    job: dict[str, Any]
    truth: dict[str, float] = field(default_factory=dict)

    def changed(self, **changes: str | None) -> Case:
        """The same with one thing misread: ``readings`` by field, or ``plate`` by ``plate_field``."""
        other = deepcopy(self.job)
        for name, value in changes.items():
            place = other["document"]["nameplate"] if name.startswith("plate_") else other["document"]["readings"][0]
            place[name.removeprefix("plate_")] = value
        return Case(self.kind, self.plate, self.readings, other, self.truth)


@dataclass(frozen=True)
class Meters:
    """What each meter is off for a whole job, as a share: within its data sheet in 95 of 100 jobs."""

    volts: float
    amps: float
    watts: float
    static: float
    flow: float

    @classmethod
    def draw(cls, rng: np.random.Generator, pump: bool) -> Meters:
        """Flat-topped: two uniform errors, of gain and of reading, add up to the data sheet's bound."""

        def off(bound: float) -> float:
            return float(bound * (rng.uniform(-0.72, 0.72) + rng.uniform(-0.6, 0.6)))

        return cls(off(0.01), off(0.02), off(0.02), off(0.02), off(0.05 if pump else 0.07))


def _typed(value: float, step: float, unit: str) -> str:
    digits = max(0, -math.floor(math.log10(step) + 1e-9))
    return f"{round(value / step) * step:.{digits}f} {unit}"


def _three(value: float, unit: str) -> str:
    """As a meter of three or four figures shows it."""
    step = 10.0 ** (math.floor(math.log10(max(value, 1e-6))) - 2)
    return _typed(value, step, unit)


def _plate(rng: np.random.Generator, motor: Motor, market: bool) -> dict[str, Any]:
    rated = motor.rated()
    line = motor.volts * (1 if motor.phases == 1 else math.sqrt(3))
    slip = motor.slip * (1 + (0.09 if market else 0.04) * rng.standard_normal())
    step = 25.0 if market and (motor.phases == 1 or rng.random() < 0.3) else 5.0
    speed = round(motor.synchronous * (1 - max(slip, 0.004)) / step) * step
    if speed >= motor.synchronous:
        speed = motor.synchronous - 5
    amps = rated["amps"] * (1 + (0.05 if market else 0.02) * rng.uniform(-1.3, 1.3))
    hp = motor.hertz == 60 and motor.phases == 1
    fractions = {
        0.0833: "1/12",
        0.1: "1/10",
        0.125: "1/8",
        0.1667: "1/6",
        0.2: "1/5",
        0.25: "1/4",
        0.333: "1/3",
        0.5: "1/2",
        0.75: "3/4",
        1.0: "1",
    }
    power = (
        next(text for size, text in fractions.items() if abs(size - motor.power / 745.7) < 0.004) + " hp"
        if hp
        else f"{motor.power:.0f} W"
    )
    plate: dict[str, Any] = {
        "rated_power": power,
        "rated_voltage": f"{line:.0f} V",
        "rated_current": _typed(amps, 0.01 if amps < 1 else 0.1, "A"),
        "rated_speed": f"{speed:.0f} rpm",
        "frequency": f"{motor.hertz:.0f} Hz",
        "phases": motor.phases,
    }
    if motor.phases == 1:
        label = motor.farads * 1e6
        plate["run_capacitance"] = f"{nearest_label(label):g} µF"
    return plate


def _read(
    rng: np.random.Generator, meters: Meters, installed: Installed, feed: Feed, at: dict[str, float], flow: float,
    fields: str, line: float,
) -> dict[str, Any]:  # fmt: skip
    pump = installed.machine_type == PUMP
    outside = float(installed.machine.pressure(flow, at["rpm"] / installed.rpm)) * installed.outside
    read: dict[str, Any] = {
        "id": "s1", "name": "as found", "tap": "one speed",
        "voltage": _typed(feed.volts * line * (1 + meters.volts), 1 if feed.volts > 150 else 0.1, "V"),
        "current": _typed(at["amps"] * (1 + meters.amps), 0.01 if at["amps"] < 20 else 0.1, "A"),
        "speed": f"{at['rpm'] + rng.uniform(-1, 1):.0f} rpm",
    }  # fmt: skip
    if fields == "whole":
        read["input_power"] = _three(at["watts"] * (1 + meters.watts), "W")
        if pump:
            read["pump_differential"] = _three(outside * (1 + meters.static) + 300 * rng.standard_normal(), "Pa")
            read["water_flow"] = _three(flow * 3600 * (1 + meters.flow), "m³/h")
        else:
            read["total_static"] = _typed(
                outside * (1 + meters.static) * (1 + 0.02 * rng.standard_normal()) + rng.uniform(-1.5, 1.5), 1, "Pa"
            )
            read["airflow"] = _three(flow * 1000 * (1 + meters.flow), "L/s")
    return read


def _duty(part_flow: str, hours: tuple[float, ...]) -> dict[str, Any]:
    """Hours as somebody estimates them: within a tenth, so the true ones are drawn about them elsewhere."""
    return {
        "steps": [
            {"id": f"s{i}", "name": f"{share:.0%}", "hours": f"{h:.0f} h", "flow_share": f"{100 * share:.0f} %"}
            for i, (share, h) in enumerate(zip(SHARES, hours, strict=True), 1)
        ],
        "part_flow": part_flow,
        "energy_price": "0.20 per kWh",
    }


def _job(
    machine_type: str,
    plate: dict[str, Any],
    read: dict[str, Any],
    duty: dict[str, Any],
    candidates: list[dict[str, Any]],
) -> dict[str, Any]:
    return {
        "site": {"name": "Truths", "units": "si", "currency": "EUR"},
        "machine": {"name": "A truth", "type": machine_type},
        "document": {
            "call": {"reason": "costly", "protected": "no"},
            "nameplate": plate, "readings": [read], "duty": duty,
            "options": {"candidates": candidates, "fitting": {"phases": plate.get("phases", 1), "permanent_supply": "yes", "listing_allows": "yes"}},
        },
    }  # fmt: skip


def _product(rng: np.random.Generator, truth: ElectronicTruth, volts: str, phases: int) -> dict[str, Any]:
    """A data sheet: the guaranteed value lies under what nearly all of them do, the nominal near the middle."""
    nominal = truth.efficiency * (1 + 0.012 * rng.standard_normal())
    sheet: dict[str, Any] = {
        "code": "truth-ec", "type": "motor", "name": "Electronic motor", "motor_kind": "electronic", "holds": "speed",
        "rated_power": f"{truth.power:.0f} W", "rated_voltage": volts, "phases": phases, "rated_speed": f"{truth.rpm:.0f} rpm",
        "nominal_efficiency": _typed(100 * nominal, 0.5, "%"), "command": "0-10 V",
    }  # fmt: skip
    if rng.random() < 0.5:
        sheet["standby"] = _typed(truth.standby, 0.5, "W")
    return sheet


def draw_fan_job(rng: np.random.Generator, kind: str, plate: str, readings: str) -> Case | None:
    """A fan or pump on an induction motor.

    :param kind: ``capacitor``, ``three-phase`` or ``pump``. :param plate: ``careful`` or ``market``.
    :param readings: ``lean`` (volts, amps, rpm) or ``whole`` (with watts, static and flow).
    """
    motor = draw_capacitor_motor(rng) if kind == "capacitor" else draw_three_phase_motor(rng)
    if motor is None:
        return None
    machine_type = _wheel(rng, kind, motor)
    load = float(np.clip(rng.normal(0.82, 0.2), 0.3, 1.15))
    feed = Feed(motor.volts * float(rng.uniform(0.95, 1.05)), motor.hertz)
    still = float(rng.choice([0.0, rng.uniform(0.1, 0.5)])) if kind == "pump" else 0.0
    installed = draw_installed(
        rng, machine_type, motor.synchronous * (1 - motor.slip * load), load * motor.power, still
    )
    at = motor.at_load(feed, installed.torque)
    if at is None or at["shaft"] < 0.12 * motor.power:
        return None
    flow = installed.at(at["rpm"])[0]
    line = 1.0 if motor.phases == 1 else math.sqrt(3)
    printed = _plate(rng, motor, plate == "market")
    read = _read(rng, Meters.draw(rng, kind == "pump"), installed, feed, at, flow, readings, line)
    said = tuple(float(h) for h in np.round(rng.dirichlet([2, 2, 2]) * rng.uniform(2500, 8000)))
    throttled = kind == "pump" or bool(rng.random() < 0.5)
    duty = _duty("by a damper or valve" if throttled else "it runs full all the same", said)
    if kind == "pump":
        duty["static_lift"] = _typed(installed.system.still / 9806.65, 0.1, "m")
    unnamed, named = (draw_electronic(rng, motor.power, motor.synchronous * 0.95, motor.phases) for _ in range(2))
    candidates = _candidates(rng, motor, named, printed["rated_voltage"])
    new = _new_of_its_kind(rng, motor)
    if new is None:
        return None
    candidates += [{"id": "anew", "kind": "same kind", "product": _sheet_of(rng, new)}]
    case = Case(kind, plate, readings, _job(machine_type, printed, read, duty, candidates))
    case.truth["shaft power"], case.truth["flow"] = at["shaft"], flow
    keep = _keep_watts(motor, feed, installed, at, flow, throttled)
    hours = [h * (1 + 0.05 * rng.uniform(-1.5, 1.5)) for h in said]
    if keep is None or not _years(rng, case, motor, installed, flow, keep, hours, {"unnamed": unnamed, "named": named}):
        return None
    if not _anew(case, new, feed, installed, throttled, hours):
        return None
    if motor.phases == 1:
        taps = draw_electronic(rng, motor.power, float(str(printed["rated_speed"]).split()[0]), 1)
        _torque_taps(rng, installed, taps, case.truth)
    return case


def _wheel(rng: np.random.Generator, kind: str, motor: Motor) -> str:
    if kind == "pump":
        return PUMP
    small = ["forward-curved", "forward-curved", "backward-inclined", "axial"]
    return str(rng.choice(small if motor.phases == 1 else ["backward-inclined", "forward-curved"]))


def _candidates(rng: np.random.Generator, motor: Motor, named: ElectronicTruth, volts: str) -> list[dict[str, Any]]:
    on_drives = [{"id": name, "kind": name} for name in ("drive", "reluctance")]
    last = [{"id": "taps", "kind": "electronic, torque taps"}] if motor.phases == 1 else on_drives
    return [
        {"id": "unnamed", "kind": "electronic"},
        {"id": "named", "kind": "electronic", "product": _product(rng, named, volts, motor.phases)},
        *last,
    ]


def _years(
    rng: np.random.Generator, case: Case, motor: Motor, installed: Installed, flow: float, keep: list[float],
    true_hours: list[float], electronics: dict[str, ElectronicTruth],
) -> bool:  # fmt: skip
    """What every option really takes at each step and saves in a year; whether all of them could."""
    drive, truth = draw_drive(rng, motor.power), case.truth
    # On numbers of its own: what others are drawn from stays what it was before there was such a motor.
    own = draw_reluctance(rng.spawn(1)[0], motor.power, motor.synchronous, motor.poles)
    off = HOURS_IN_A_YEAR - sum(true_hours)
    saved = {
        "drive": 0.0,
        "reluctance": -own.standby * off / 1000,
        **{name: -one.standby * off / 1000 for name, one in electronics.items()},
    }
    for share, kept, h in zip(SHARES, keep, true_hours, strict=True):
        truth[f"watts keep {share:.0%}"] = kept
        rpm, shaft = installed.speed_for(share * flow)
        taken = {name: one.watts(shaft, rpm) for name, one in electronics.items()}
        if motor.phases == 3:
            driven = _on_drive(motor, drive, shaft, rpm)
            if driven is None:
                return False
            taken |= {"drive": driven, "reluctance": own.watts(shaft, rpm)}
        for name, watts in taken.items():
            truth[f"watts {name} {share:.0%}"] = watts
            saved[name] += (kept - watts) * h / 1000
    truth |= {f"saving {name}": value for name, value in saved.items() if f"watts {name} {SHARES[0]:.0%}" in truth}
    return True


def _new_of_its_kind(rng: np.random.Generator, motor: Motor) -> Motor | None:
    """A motor of the same rating from another maker; a three-phase one of the better class."""
    for _ in range(40):
        new = draw_capacitor_motor(rng, motor) if motor.phases == 1 else draw_three_phase_motor(rng, True, motor)
        if new is not None:
            return new
    return None


def _sheet_of(rng: np.random.Generator, motor: Motor) -> dict[str, Any]:
    """Its data sheet: speed and amps as printed with care, the nominal efficiency near what it has."""
    rated, printed = motor.rated(), _plate(rng, motor, False)
    nominal = rated["shaft"] / rated["watts"] * (1 + 0.012 * rng.standard_normal())
    names = ("rated_voltage", "rated_current", "rated_speed", "frequency", "phases", "run_capacitance")
    return {
        "code": "truth-anew", "type": "motor", "name": "A new motor", "rated_power": f"{motor.power:.0f} W",
        "motor_kind": "split-capacitor" if motor.phases == 1 else "three-phase", "nominal_efficiency": _typed(100 * nominal, 0.1, "%"),
    } | {name: printed[name] for name in names if name in printed}  # fmt: skip


def _anew(case: Case, new: Motor, feed: Feed, installed: Installed, throttled: bool, hours: list[float]) -> bool:
    """What the new motor takes where it meets the load, at each step; whether it could."""
    at = new.at_load(feed, installed.torque)
    if at is None:
        return False
    flow = installed.at(at["rpm"])[0]
    watts = _keep_watts(new, feed, installed, at, flow, throttled)
    if watts is None:
        return False
    case.truth |= {f"watts anew {share:.0%}": w for share, w in zip(SHARES, watts, strict=True)}
    kept = [case.truth[f"watts keep {share:.0%}"] for share in SHARES]
    case.truth["saving anew"] = sum((k - w) * h for k, w, h in zip(kept, watts, hours, strict=True)) / 1000
    return True


def _keep_watts(
    motor: Motor, feed: Feed, installed: Installed, at: dict[str, float], flow: float, throttled: bool
) -> list[float] | None:
    watts = [at["watts"]]
    for share in SHARES[1:]:
        if not throttled:
            watts.append(at["watts"])
            continue
        part = motor.at_load(feed, installed.throttled_torque(share * flow))
        if part is None:
            return None
        watts.append(part["watts"])
    return watts


def _on_drive(motor: Motor, drive: DriveTruth, shaft: float, rpm: float) -> float | None:
    """Volts in proportion to hertz, with slip found by trial."""
    torque = shaft / (rpm * math.pi / 30)
    hertz = rpm * motor.poles / 120 / (1 - motor.slip)
    at = None
    for _ in range(4):
        feed = Feed(motor.volts * hertz / motor.hertz, hertz)
        at = motor.at_load(feed, lambda n: torque + 0 * n)
        if at is None:
            return None
        hertz *= rpm / at["rpm"]
    amps = at["amps"] / motor.rated()["amps"]
    return drive.watts(at["watts"], at["watts"] - at["shaft"], amps)


def _torque_taps(
    rng: np.random.Generator, installed: Installed, motor: ElectronicTruth, truth: dict[str, float]
) -> None:
    """Where each tap's torque meets the system; makers hold a torque to a few percent, and it fades near the power limit."""
    for number, share in enumerate(TAPS, 1):
        held = motor.power / (motor.rpm * math.pi / 30) * share * (1 + 0.03 * rng.standard_normal())
        low, high = 0.1 * installed.rpm, 2.2 * installed.rpm
        for _ in range(40):
            middle = (low + high) / 2
            most = min(held, 1.05 * motor.power / (middle * math.pi / 30))
            low, high = (middle, high) if installed.torque(np.array([middle]))[0] < most else (low, middle)
        flow, shaft = installed.at(low)
        truth[f"tap {number} flow"], truth[f"tap {number} watts"] = flow, motor.watts(shaft, low)


def draw_tap_job(rng: np.random.Generator) -> Case | None:
    """A capacitor motor whose low tap was never read, with a step said by that tap."""
    case, tries = None, 0
    while case is None and tries < 40:
        tries += 1
        motor = draw_capacitor_motor(rng)
        if motor is None:
            continue
        machine_type = str(rng.choice(["forward-curved", "backward-inclined"]))
        load = float(np.clip(rng.normal(0.8, 0.15), 0.4, 1.1))
        feed = Feed(motor.volts * float(rng.uniform(0.96, 1.04)), motor.hertz)
        installed = draw_installed(rng, machine_type, motor.synchronous * (1 - motor.slip * load), load * motor.power)
        at = motor.at_load(feed, installed.torque)
        low = motor.at_load(Feed(feed.volts, feed.hertz, motor.low_tap), installed.torque) if at else None
        if at is None or low is None:
            continue
        flow, low_flow = installed.at(at["rpm"])[0], installed.at(low["rpm"])[0]
        read = _read(rng, Meters.draw(rng, False), installed, feed, at, flow, "whole", 1.0)
        read["tap"] = "high tap"
        duty = {
            "steps": [
                {"id": "s1", "name": "full", "hours": "2,000 h", "flow_share": "100 %"},
                {"id": "s2", "name": "low", "hours": "3,000 h", "wants": "a tap", "tap": "low tap"},
            ],
            "part_flow": "by a lower tap or regulator step",
            "energy_price": "0.20 per kWh",
        }
        case = Case(
            "tap",
            "market",
            "whole",
            _job(machine_type, _plate(rng, motor, True), read, duty, [{"id": "unnamed", "kind": "electronic"}]),
        )
        case.truth = {"low tap flow": low_flow, "low tap watts": low["watts"]}
    return case


def draw_electronic_job(rng: np.random.Generator, plate: str, readings: str) -> Case | None:
    """An electronic motor that is in the machine, read by watts and speed."""
    small = rng.random() < 0.75
    sizes = np.array([93.0, 124, 187, 249, 373, 559, 746]) if small else np.array([1100.0, 1500, 2200, 3000, 4000])
    phases = 1 if small else 3
    power, rpm = float(rng.choice(sizes)), float(rng.choice([1050, 1100, 1200, 1450, 1600]))
    motor = draw_electronic(rng, power, rpm, phases)
    load = float(rng.uniform(0.2, 1.0))
    machine_type = str(rng.choice(["forward-curved", "backward-inclined"]))
    speed = rpm * min(1.0, load ** (1 / 3) * float(rng.uniform(0.9, 1.05)))
    installed = draw_installed(rng, machine_type, speed, load * power)
    shaft, flow = load * power, installed.flow
    watts = motor.watts(shaft, speed)
    volts = (115.0 if power < 300 else 230.0) if small else 400.0
    amps = watts / (motor.factor * volts * (1 if small else math.sqrt(3)))
    rated_amps = motor.watts(power, rpm) / (motor.factor * volts * (1 if small else math.sqrt(3)))
    printed = {
        "rated_power": f"{power:.0f} W", "rated_voltage": f"{volts:.0f} V", "rated_speed": f"{rpm:.0f} rpm", "frequency": "60 Hz" if small else "50 Hz",
        "rated_current": _typed(rated_amps * (1 + 0.05 * rng.uniform(-1, 1)), 0.1, "A"), "phases": phases, "motor_kind": "electronic", "holds": "speed",
    }  # fmt: skip
    read = _read(
        rng, Meters.draw(rng, False), installed, Feed(volts / (1 if small else math.sqrt(3)), 60.0),
        {"rpm": speed, "amps": amps, "watts": watts}, flow, "whole", 1.0 if small else math.sqrt(3),
    )  # fmt: skip
    if readings == "lean":
        read.pop("total_static"), read.pop("airflow")
    duty = _duty("it runs full all the same", (2000.0, 2000.0, 2000.0))
    case = Case("electronic", plate, readings, _job(machine_type, printed, read, duty, []))
    case.truth = {"shaft power": shaft}
    return case
