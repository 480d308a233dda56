"""Tables that are our own judgement or common practice: nothing outside can be asked, so every figure is typed a second time,
and each table obeys laws that its meaning gives it. A slip of a digit fails; a change of mind is made in both places, knowingly.
"""

from __future__ import annotations

from itertools import pairwise

import pytest

from modest_rotor.core.tables import read_table

# Bounds that sound meters promise at 95 %: relative, absolute in SI units.
METERS = {
    "voltage": (0.01, 0), "current": (0.02, 0), "input_power": (0.02, 0), "speed": (0, 1), "supply_static_pressure": (0.02, 2),
    "return_static_pressure": (0.02, 2), "pressure": (0.02, 2), "pump_differential": (0.02, 1000), "airflow": (0.07, 0), "water_flow": (0.05, 0),
    "hours": (0.1, 0), "cost": (0.1, 0), "frequency": (0.001, 0), "winding_resistance": (0.01, 0.2), "capacitance": (0.03, 1e-7),
    "capacitor_voltage": (0.01, 0), "temperature": (0, 0.5), "temperature_difference": (0, 0.7), "power_factor": (0.02, 0), "signal": (0.01, 0),
    "gauge_pressure": (0.02, 1000), "altitude": (0, 30),
}  # fmt: skip
# Pull-out torque and its spread, locked amps and theirs, unloaded amps and theirs, highest volts of usual capacitors.
HABITS = {
    "split-capacitor": (1.8, 0.2, 2.2, 0.25, 0.6, 0.25, 484), "single-phase": (2.3, 0.2, 4.5, 0.3, 0.6, 0.25, 0),
    "shaded-pole": (1.4, 0.2, 1.8, 0.25, 0.85, 0.25, 0), "three-phase": (2.6, 0.2, 6, 0.25, 0.45, 0.2, 0),
}  # fmt: skip
PRIORS = {
    "split-capacitor": {"r1": (0.058, 0.4), "x": (0.088, 0.35), "xm": (1.25, 0.35), "r2": (0.95, 0.35), "a": (1.25, 0.2), "core": (0.09, 0.4),
                        "friction": (0.025, 0.45), "ka": (1.6, 0.25)},
    "single-phase": {"r1": (0.05, 0.4), "x": (0.075, 0.35), "xm": (1, 0.35), "r2": (0.95, 0.35), "core": (0.09, 0.4), "friction": (0.025, 0.45)},
    "shaded-pole": {"r1": (0.33, 0.4), "x": (0.27, 0.35), "xm": (1.7, 0.35), "r2": (1.6, 0.35), "core": (0.08, 0.4), "friction": (0.05, 0.45),
                    "ka": (0.65, 0.4)},
    "three-phase": {"r1": (0.04, 0.4), "x": (0.075, 0.35), "xm": (1.6, 0.35), "r2": (0.95, 0.3), "core": (0.045, 0.4), "friction": (0.02, 0.45)},
}  # fmt: skip
# Error of the plain formulas, per cent of the truth: from, to, median, low, high.
FORMULAS = {
    ("single-phase", "slip"): ((0.95, 10, 6, -9, 32), (0.75, 0.95, -4, -17, 17), (0.4, 0.75, -9, -24, 16), (0, 0.4, -7, -28, 33)),
    ("single-phase", "amps"): ((1.05, 10, 2, -7, 21), (0.95, 1.05, 2, -11, 62), (0.75, 0.95, 15, -7, 221), (0.6, 0.75, 52, 5, 273),
                               (0, 0.6, 104, 21, 239)),
    ("single-phase", "watts"): ((0.9, 10, 8, -5, 30), (0.75, 0.9, 6, -10, 46), (0.6, 0.75, 9, -12, 101), (0.4, 0.6, 19, -17, 134),
                                (0, 0.4, 15, -47, 109)),
    ("three-phase", "slip"): ((0.75, 10, -4, -25, 22), (0.4, 0.75, -6, -27, 22), (0, 0.4, -8, -35, 25)),
    ("three-phase", "amps"): ((0.75, 10, 1, -8, 10), (0.4, 0.75, 8, -5, 32), (0, 0.4, 60, 15, 250)),
}  # fmt: skip
# One thing changed: how large it is taken where nothing else is said.
CHANGES = {
    "tighter": 1.3, "more-open": 0.75, "filter-out": 0.3, "capacitor-weak": 0.5, "capacitor-dead": 0, "volts-low": 0.9,
    "drag": 0.1, "fouled": 0.75, "other-tap": 0.45, "belt-slips": 0.05, "thin-air": 0.85, "filter-loaded": 1.4,
    "unbalanced": 0.03, "off-shaft": 0.0001, "backwards": 0.25, "runs-dry": 0.002, "air-bound": 0.4,
    "closed": 10000, "hertz": 0.8333333,
}  # fmt: skip
# Causes: least and most of the change, and how common each is before anything was read.
CAUSES = {
    "duct too tight": (1.15, 8, 0.16), "duct too open": (0.87, 0.2, 0.06), "filter or coil loaded": (1.1, 5, 0.16), "run capacitor weak": (0.85, 0.12, 0.1),
    "run capacitor open": (0, 0, 0.03), "volts low": (0.96, 0.75, 0.06), "volts unbalanced": (0.015, 0.08, 0.03), "another tap": (0.25, 0.7, 0.05),
    "drag or bearings": (0.04, 0.8, 0.07), "wheel fouled": (0.92, 0.4, 0.1), "wheel off its shaft": (0.0001, 0.0001, 0.02),
    "wheel turns backwards": (0.4, 0.15, 0.02), "belt slips": (0.015, 0.3, 0.05), "pump runs dry": (0.002, 0.002, 0.02),
    "pump air-bound": (0.7, 0.2, 0.04), "valve closed": (100, 100000, 0.03), "hertz too low": (0.8333, 0.8333, 0.01), "hertz too high": (1.2, 1.2, 0.01),
    "clamp off": (None, None, 0.03), "tachometer off": (None, None, 0.03), "static read outside the cabinet": (0.3, 0.85, 0.14),
    "static tap or hose off": (None, None, 0.04), "wattmeter off": (None, None, 0.02), "flow reading off": (None, None, 0.03),
}  # fmt: skip
# Years that are invented: hours and share of full flow of each step.
TEMPLATES = {
    "office air handler": ((2600, 1), (520, 0.7)), "house air handler": ((1700, 0.7), (1100, 1)), "fan coil of a room": ((2200, 1), (1600, 0.6)),
    "washroom extract": ((4400, 1), (2600, 0.5)), "assembly hall supply": ((900, 1), (700, 0.6)), "cold store evaporator": ((7400, 1),),
    "heating circulator": ((3200, 0.85), (2000, 0.55)), "lift pump": ((1300, 1),),
}  # fmt: skip
ELECTRONIC = {
    "1": ((5, 50), (16, 63), (40, 64.5), (75, 65.5), (120, 67.5), (180, 71.5), (250, 74), (370, 77), (550, 79.5), (750, 81.5), (1100, 83), (1500, 84),
          (3000, 86)),
    "3": ((120, 68.5), (180, 72.5), (250, 75.5), (370, 78.5), (550, 81), (750, 83), (1100, 84.5), (1500, 85.5), (3000, 87.5), (5500, 89), (7500, 89.5),
          (15000, 91), (37000, 92.5), (200000, 94)),
}  # fmt: skip
# Losses at 373 W over rated power, how they fall with size, spread; fixed share and its spread; from and to, W.
TYPICAL = {
    "split-capacitor": (0.587, 0.24, 0.34, 1, 0.15, 15, 4000), "single-phase": (0.667, 0.24, 0.33, 0.75, 0.2, 15, 10000),
    "shaded-pole": (2.33, 0.33, 0.3, 0.9, 0.1, 2, 400), "three-phase": (0.317, 0.301, 0.3, 0.4, 0.15, 60, 375000),
}  # fmt: skip
WORTH = {
    ("fan", "airflow"): 0.036, ("fan", "leaving"): 0.05, ("fan", "current"): 0.05, ("pump", "water_flow"): 0.026, ("pump", "leaving"): 0.08,
    ("pump", "pump_differential"): 0.12,
}  # fmt: skip


def number(text: str) -> float | None:
    return float(text) if text else None


def numbers(row: dict[str, str], *columns: str) -> tuple[float, ...]:
    return tuple(float(row[column]) for column in columns)


def test_meters() -> None:
    rows = {r["quantity"]: numbers(r, "relative", "absolute") for r in read_table("meter_accuracy")}
    assert rows == METERS
    assert all(0 <= relative <= 0.1 and relative + absolute > 0 for relative, absolute in rows.values())
    assert len({rows[name] for name in ("pressure", "supply_static_pressure", "return_static_pressure")}) == 1, (
        "one manometer"
    )
    assert rows["capacitor_voltage"] == rows["voltage"] and rows["pump_differential"] == rows["gauge_pressure"]
    # A difference of two temperatures of one thermometer: √2 of one, to the figure.
    assert rows["temperature_difference"][1] == pytest.approx(2**0.5 * rows["temperature"][1], abs=0.05)


def test_a_way_to_the_flow_is_worth_what_its_meter_promises() -> None:
    rows = {
        (r["machine_type"], r["field"]): float(r["sd"])
        for r in read_table("worth_of_readings")
        if r["field"] != "supply_static"
    }
    assert rows == WORTH
    static = {r["method"]: float(r["sd"]) for r in read_table("worth_of_readings") if r["field"] == "supply_static"}
    assert static == {"table": 0.045, "curve": 0.14}
    for machine_type, field in (
        ("fan", "airflow"),
        ("pump", "water_flow"),
    ):  # 95 % of a normal spread is 1.96 deviations
        assert rows[machine_type, field] == pytest.approx(METERS[field][0] / 1.96, abs=0.0006)


def test_habits_and_priors_of_motors() -> None:
    rows = read_table("motor_habits")
    columns = list(rows[0])[1:]
    assert {r["motor"]: numbers(r, *columns) for r in rows} == HABITS
    for pull_out, _, locked, _, unloaded, _, _ in HABITS.values():
        assert 1 < pull_out < 4 and locked > 1 > unloaded > 0, (
            "a motor pulls more than its rating, stalls above it, idles below it"
        )
    priors: dict[str, dict[str, tuple[float, ...]]] = {}
    for r in read_table("motor_priors"):
        priors.setdefault(r["motor"], {})[r["parameter"]] = numbers(r, "median", "sd")
    assert priors == PRIORS
    assert all(0 < median < 3 and 0.15 < sd < 0.5 for own in priors.values() for median, sd in own.values())
    # Resistance and leakage lie far below the magnetising reactance, or nothing would be left for the shaft.
    assert all(own["r1"][0] < own["xm"][0] / 4 and own["x"][0] < own["xm"][0] / 4 for own in priors.values())


def test_errors_of_plain_formulas() -> None:
    found: dict[tuple[str, str], list[tuple[float, ...]]] = {}
    for r in read_table("load_method_errors"):
        found.setdefault((r["motor"], r["method"]), []).append(
            numbers(r, "load_from", "load_to", "median", "low", "high")
        )
    assert {key: tuple(rows) for key, rows in found.items()} == FORMULAS
    for rows in found.values():
        assert all(low < median < high for _, _, median, low, high in rows)
        assert rows[0][1] == 10 and rows[-1][0] == 0 and all(a[0] == b[1] for a, b in pairwise(rows)), (
            "no load without a row"
        )


def test_changes_and_causes() -> None:
    usual = {r["change"]: float(r["size"]) for r in read_table("perturbations")}
    assert usual == CHANGES
    rows = read_table("causes")
    assert {r["cause"]: (number(r["least"]), number(r["most"]), number(r["share"])) for r in rows} == CAUSES
    for r in rows:
        least, most = number(r["least"]), number(r["most"])
        if r["change"] and r["change"] != "hertz" and least is not None and most is not None:
            assert min(least, most) <= usual[r["change"]] <= max(least, most), (
                f"{r['cause']}: the usual lies between least and most"
            )
        assert 0 < float(r["share"]) < 0.2 and r["machine"] in ("fan", "pump", "both")
    for machine in ("fan", "pump"):
        shares = sum(float(r["share"]) for r in rows if r["machine"] in (machine, "both"))
        assert 0.8 < shares < 1.4, "shares are weights of one whole, to be made one"
    # 50 and 60 Hz: the one for the other, either way.
    assert CAUSES["hertz too low"][0] == pytest.approx(50 / 60, abs=1e-4) and CAUSES["hertz too high"][
        0
    ] == pytest.approx(60 / 50)
    assert CHANGES["hertz"] == pytest.approx(50 / 60, abs=1e-6)


def test_invented_years() -> None:
    found: dict[str, list[tuple[float, ...]]] = {}
    rows = read_table("duty_templates")
    building, _, hours, share = list(rows[0])[:4]
    for r in rows:
        found.setdefault(r[building], []).append(numbers(r, hours, share))
    assert {name: tuple(steps) for name, steps in found.items()} == TEMPLATES
    for steps in found.values():
        assert sum(step[0] for step in steps) <= 8760 and max(step[1] for step in steps) <= 1
        assert len({step[1] for step in steps}) == len(steps), "each step asks for a flow of its own"


def test_typical_motors() -> None:
    electronic: dict[str, list[tuple[float, ...]]] = {}
    for r in read_table("electronic_motors"):
        electronic.setdefault(r["phases"], []).append(numbers(r, "power_w", "efficiency"))
    assert {phases: tuple(rows) for phases, rows in electronic.items()} == ELECTRONIC
    # From 0.12 to 15 kW: class IE4 of four poles less 5 % (one phase) or 3.5 % (three), as the table's head says, to 1.3 points.
    iec = {
        float(r["power_kw"]) * 1000: float(r["efficiency"])
        for r in read_table("iec_efficiency_classes")
        if (r["class"], r["poles"]) == ("IE4", "4")
    }
    compared = 0
    for phases, less in (("1", 0.95), ("3", 0.965)):
        for watts, percent in electronic[phases]:
            if watts in iec and watts <= 15000:
                assert percent == pytest.approx(less * iec[watts], abs=1.3), (phases, watts)
                compared += 1
    assert compared >= 18
    rows = read_table("typical_motors")
    columns = list(rows[0])[1:8]
    assert {r["motor"]: numbers(r, *columns) for r in rows} == TYPICAL
    # A three-phase motor's losses by the formula against class IE2 of four poles, from 0.75 to 200 kW within a tenth.
    second = {
        float(r["power_kw"]): float(r["efficiency"]) / 100
        for r in read_table("iec_efficiency_classes")
        if (r["class"], r["poles"]) == ("IE2", "4")
    }
    at_373, falls = TYPICAL["three-phase"][:2]
    assert all(
        at_373 * (1000 * kw / 373) ** -falls == pytest.approx(1 / eta - 1, rel=0.1)
        for kw, eta in second.items()
        if kw >= 0.75
    )


def test_speed_taps() -> None:
    """Low taps add 0.3 to 0.65 of the main winding's turns (common practice, no source): the median lies among them."""
    taps = {r["tap"]: numbers(r, "median", "sd") for r in read_table("speed_taps")}
    assert taps == {"low tap": (0.43, 0.38), "medium tap": (0.22, 0.45)}
    assert 0.3 < taps["low tap"][0] < 0.65 and taps["medium tap"][0] < taps["low tap"][0]
