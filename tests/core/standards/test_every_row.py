"""Every row of every published table against a second statement: its columns typed again from memory by another hand, the rule
that its standard gives, or a library that has it from elsewhere.

What a column is typed from stands beside it. One wrong digit in any row of any of these tables fails here.
"""

from __future__ import annotations

from importlib.resources import files
from itertools import pairwise

import numpy as np
import pytest
from fluids import CSA_motor_efficiency, VFD_efficiency

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.physics.traverse import LOG_LINEAR_DIAMETER, LOG_TCHEBYCHEFF_SIDE
from modest_rotor.core.standards.motors import W_PER_HP, locked_rotor_current_a, unbalance_derating
from modest_rotor.core.standards.wiring import overload_setting_a, wiring_current_a
from modest_rotor.core.tables import Row, read_table
from tests.core.coolprop import of_water

ATMOSPHERE_PA = 101_325.0
LEFT_OUT = {"units": {"offset"}}
"""Last cells that a row may leave out, as its table's head says."""
TABLES = sorted(
    path.name.removesuffix(".csv") for path in files("modest_rotor.core.tables").iterdir() if path.name.endswith(".csv")
)

# IEC 60034-30-1:2014, nominal efficiencies at 50 Hz of 2, 4 and 6 poles, from memory; EU 2019/1781 prints IE2, IE3 and IE4.
KW = (
    0.12,
    0.18,
    0.25,
    0.37,
    0.55,
    0.75,
    1.1,
    1.5,
    2.2,
    3,
    4,
    5.5,
    7.5,
    11,
    15,
    18.5,
    22,
    30,
    37,
    45,
    55,
    75,
    90,
    110,
    132,
    160,
    200,
)
IEC = {
    "IE1": (
        (45.0, 52.8, 58.2, 63.9, 69.0, 72.1, 75.0, 77.2, 79.7, 81.5, 83.1, 84.7, 86.0, 87.6, 88.7, 89.3, 89.9, 90.7, 91.2, 91.7, 92.1, 92.7, 93.0, 93.3, 93.5, 93.8, 94.0),
        (50.0, 57.0, 61.5, 66.0, 70.0, 72.1, 75.0, 77.2, 79.7, 81.5, 83.1, 84.7, 86.0, 87.6, 88.7, 89.3, 89.9, 90.7, 91.2, 91.7, 92.1, 92.7, 93.0, 93.3, 93.5, 93.8, 94.0),
        (38.3, 45.5, 52.1, 59.7, 65.8, 70.0, 72.9, 75.2, 77.7, 79.7, 81.4, 83.1, 84.7, 86.4, 87.7, 88.6, 89.2, 90.2, 90.8, 91.4, 91.9, 92.6, 92.9, 93.3, 93.5, 93.8, 94.0),
    ),
    "IE2": (
        (53.6, 60.4, 64.8, 69.5, 74.1, 77.4, 79.6, 81.3, 83.2, 84.6, 85.8, 87.0, 88.1, 89.4, 90.3, 90.9, 91.3, 92.0, 92.5, 92.9, 93.2, 93.8, 94.1, 94.3, 94.6, 94.8, 95.0),
        (59.1, 64.7, 68.5, 72.7, 77.1, 79.6, 81.4, 82.8, 84.3, 85.5, 86.6, 87.7, 88.7, 89.8, 90.6, 91.2, 91.6, 92.3, 92.7, 93.1, 93.5, 94.0, 94.2, 94.5, 94.7, 94.9, 95.1),
        (50.6, 56.6, 61.6, 67.6, 73.1, 75.9, 78.1, 79.8, 81.8, 83.3, 84.6, 86.0, 87.2, 88.7, 89.7, 90.4, 90.9, 91.7, 92.2, 92.7, 93.1, 93.7, 94.0, 94.3, 94.6, 94.8, 95.0),
    ),
    "IE3": (
        (60.8, 65.9, 69.7, 73.8, 77.8, 80.7, 82.7, 84.2, 85.9, 87.1, 88.1, 89.2, 90.1, 91.2, 91.9, 92.4, 92.7, 93.3, 93.7, 94.0, 94.3, 94.7, 95.0, 95.2, 95.4, 95.6, 95.8),
        (64.8, 69.9, 73.5, 77.3, 80.8, 82.5, 84.1, 85.3, 86.7, 87.7, 88.6, 89.6, 90.4, 91.4, 92.1, 92.6, 93.0, 93.6, 93.9, 94.2, 94.6, 95.0, 95.2, 95.4, 95.6, 95.8, 96.0),
        (57.7, 63.9, 68.6, 73.5, 77.2, 78.9, 81.0, 82.5, 84.3, 85.6, 86.8, 88.0, 89.1, 90.3, 91.2, 91.7, 92.2, 92.9, 93.3, 93.7, 94.1, 94.6, 94.9, 95.1, 95.4, 95.6, 95.8),
    ),
    "IE4": (
        (66.5, 70.8, 74.3, 78.1, 81.5, 83.5, 85.2, 86.5, 88.0, 89.1, 90.0, 90.9, 91.7, 92.6, 93.3, 93.7, 94.0, 94.5, 94.8, 95.0, 95.3, 95.6, 95.8, 96.0, 96.2, 96.3, 96.5),
        (69.8, 74.7, 77.9, 81.1, 83.9, 85.7, 87.2, 88.2, 89.5, 90.4, 91.1, 91.9, 92.6, 93.3, 93.9, 94.2, 94.5, 94.9, 95.2, 95.4, 95.7, 96.0, 96.1, 96.3, 96.4, 96.6, 96.7),
        (64.9, 70.1, 74.1, 78.0, 80.9, 82.7, 84.5, 85.9, 87.4, 88.6, 89.5, 90.5, 91.3, 92.3, 92.9, 93.4, 93.7, 94.2, 94.5, 94.8, 95.1, 95.4, 95.6, 95.8, 96.0, 96.2, 96.3),
    ),
}  # fmt: skip

# NFPA 70, tables 430.248 (single-phase) and 430.250 (three-phase), amps by hp and volts, from memory.
ONE_PHASE_HP = (1 / 6, 1 / 4, 1 / 3, 1 / 2, 3 / 4, 1, 1.5, 2, 3, 5, 7.5, 10)
ONE_PHASE = {
    115: (4.4, 5.8, 7.2, 9.8, 13.8, 16, 20, 24, 34, 56, 80, 100),
    200: (2.5, 3.3, 4.1, 5.6, 7.9, 9.2, 11.5, 13.8, 19.6, 32.2, 46.0, 57.5),
    208: (2.4, 3.2, 4.0, 5.4, 7.6, 8.8, 11.0, 13.2, 18.7, 30.8, 44.0, 55.0),
    230: (2.2, 2.9, 3.6, 4.9, 6.9, 8.0, 10, 12, 17, 28, 40, 50),
}
THREE_PHASE_HP = (0.5, 0.75, 1, 1.5, 2, 3, 5, 7.5, 10, 15, 20, 25, 30, 40, 50, 60, 75, 100, 125, 150, 200)
THREE_PHASE = {
    115: (4.4, 6.4, 8.4, 12.0, 13.6),
    200: (2.5, 3.7, 4.8, 6.9, 7.8, 11.0, 17.5, 25.3, 32.2, 48.3, 62.1, 78.2, 92, 120, 150, 177, 221, 285, 359, 414, 552),
    208: (2.4, 3.5, 4.6, 6.6, 7.5, 10.6, 16.7, 24.2, 30.8, 46.2, 59.4, 74.8, 88, 114, 143, 169, 211, 273, 343, 396, 528),
    230: (2.2, 3.2, 4.2, 6.0, 6.8, 9.6, 15.2, 22, 28, 42, 54, 68, 80, 104, 130, 154, 192, 248, 312, 360, 480),
    460: (1.1, 1.6, 2.1, 3.0, 3.4, 4.8, 7.6, 11, 14, 21, 27, 34, 40, 52, 65, 77, 96, 124, 156, 180, 240),
    575: (0.9, 1.3, 1.7, 2.4, 2.7, 3.9, 6.1, 9, 11, 17, 22, 27, 32, 41, 52, 62, 77, 99, 125, 144, 192),
}  # fmt: skip

# 10 CFR 431.446, open small motors from 2015, per cent, by 2, 4 and 6 poles, from memory.
SMALL_HP = (0.25, 0.333, 0.5, 0.75, 1, 1.5, 2, 3)
SMALL = {
    "capacitor-start": {
        2: (66.6, 70.5, 72.4, 76.2, 80.4, 81.5, 82.9, 84.1), 4: (68.5, 72.4, 76.2, 81.8, 82.6, 83.8, 84.5, None),
        6: (62.2, 66.6, 76.2, 80.2, 81.1, None, None, None),
    },
    "three-phase": {
        2: (65.6, 69.5, 73.4, 76.8, 77.0, 84.0, 85.5, 85.5), 4: (69.5, 73.4, 78.2, 81.1, 83.5, 86.5, 86.5, 86.9),
        6: (67.5, 71.4, 75.3, 81.7, 82.5, 83.8, None, None),
    },
}  # fmt: skip

# NEMA MG 1, 4.4.1: D, 2E, 2F, BA, U in inches, from memory.
FRAMES = {
    "42": (2.62, 3.5, 1.69, 2.06, 3 / 8), "48": (3, 4.25, 2.75, 2.5, 1 / 2), "56": (3.5, 4.88, 3, 2.75, 5 / 8),
    "143T": (3.5, 5.5, 4, 2.25, 7 / 8), "145T": (3.5, 5.5, 5, 2.25, 7 / 8), "182T": (4.5, 7.5, 4.5, 2.75, 9 / 8),
    "184T": (4.5, 7.5, 5.5, 2.75, 9 / 8), "213T": (5.25, 8.5, 5.5, 3.5, 11 / 8), "215T": (5.25, 8.5, 7, 3.5, 11 / 8),
    "254T": (6.25, 10, 8.25, 4.25, 13 / 8), "256T": (6.25, 10, 10, 4.25, 13 / 8), "284T": (7, 11, 9.5, 4.75, 15 / 8),
    "286T": (7, 11, 11, 4.75, 15 / 8), "284TS": (7, 11, 9.5, 4.75, 13 / 8), "286TS": (7, 11, 11, 4.75, 13 / 8),
    "324T": (8, 12.5, 10.5, 5.25, 17 / 8), "326T": (8, 12.5, 12, 5.25, 17 / 8), "324TS": (8, 12.5, 10.5, 5.25, 15 / 8),
    "326TS": (8, 12.5, 12, 5.25, 15 / 8), "364T": (9, 14, 11.25, 5.88, 19 / 8), "365T": (9, 14, 12.25, 5.88, 19 / 8),
    "364TS": (9, 14, 11.25, 5.88, 15 / 8), "365TS": (9, 14, 12.25, 5.88, 15 / 8),
}  # fmt: skip

# NEMA MG 1, 10.37.2: where each letter begins, kVA per hp, from memory.
LETTERS = {
    "A": 0, "B": 3.15, "C": 3.55, "D": 4.0, "E": 4.5, "F": 5.0, "G": 5.6, "H": 6.3, "J": 7.1, "K": 8.0, "L": 9.0, "M": 10.0,
    "N": 11.2, "P": 12.5, "R": 14.0, "S": 16.0, "T": 18.0, "U": 20.0, "V": 22.4,
}  # fmt: skip

# NEMA MG 1, 12-10, the ranking of nominal efficiencies, per cent, from memory; the two causes below it are minima alone.
LADDER = (
    99.0, 98.9, 98.8, 98.7, 98.6, 98.5, 98.4, 98.2, 98.0, 97.8, 97.6, 97.4, 97.1, 96.8, 96.5, 96.2, 95.8, 95.4, 95.0, 94.5, 94.1, 93.6, 93.0,
    92.4, 91.7, 91.0, 90.2, 89.5, 88.5, 87.5, 86.5, 85.5, 84.0, 82.5, 81.5, 80.0, 78.5, 77.0, 75.5, 74.0, 72.0, 70.0, 68.0, 66.0, 64.0, 62.0,
    59.5, 57.5, 55.0, 52.5, 50.5,
)  # fmt: skip
BELOW_THE_LADDER = (48.0, 46.0)

# NEMA MG 1, 12-12 above 200 hp (250, 300, 350, 400, 450, 500), per cent by poles, from memory; the library below ends at 200.
LARGE_HP = (250, 300, 350, 400, 450, 500)
LARGE = {
    ("open", 2): (95.0, 95.4, 95.4, 95.8, 96.2, 96.2), ("open", 4): (95.8, 95.8, 95.8, 95.8, 96.2, 96.2), ("open", 6): (95.8, 95.8, 95.8),
    ("enclosed", 2): (95.8,) * 6, ("enclosed", 4): (96.2,) * 6, ("enclosed", 6): (95.8, 95.8, 95.8),
}  # fmt: skip


def floats(row: Row, *columns: str) -> tuple[float, ...]:
    return tuple(float(row[column]) for column in columns)


@pytest.mark.parametrize("name", TABLES)
def test_every_row_has_the_cells_of_its_head(name: str) -> None:
    """A comma that nobody quoted shifts a row: its last cell goes missing without a word."""
    rows = read_table(name)
    assert rows, name
    for number, row in enumerate(rows):
        missing = {column for column, cell in row.items() if cell is None} - LEFT_OUT.get(name, set())
        assert None not in row and not missing, f"{name}, row {number}: {row}"


def test_iec_classes() -> None:
    ours = {
        (r["class"], r["poles"], float(r["power_kw"])): float(r["efficiency"])
        for r in read_table("iec_efficiency_classes")
    }
    again = {
        (name, str(poles), kw): percent
        for name, columns in IEC.items()
        for poles, column in zip((2, 4, 6), columns, strict=True)
        for kw, percent in zip(KW, column, strict=True)
    }
    assert ours == again


def test_currents_for_wiring() -> None:
    ours = {
        (int(r["phases"]), round(float(r["power_hp"]), 3), int(r["voltage"])): float(r["current"])
        for r in read_table("wiring_currents")
    }
    again = {
        (phases, round(hp, 3), volts): float(amps)
        for phases, sizes, columns in ((1, ONE_PHASE_HP, ONE_PHASE), (3, THREE_PHASE_HP, THREE_PHASE))
        for volts, column in columns.items()
        for hp, amps in zip(sizes, column, strict=False)  # 115 V has the smallest alone
    }
    assert ours == again


def test_small_motors() -> None:
    ours = {
        (r["kind"], r["poles"], float(r["power_hp"])): float(r["efficiency"])
        for r in read_table("small_motor_efficiency")
    }
    again = {
        (kind, str(poles), hp): percent
        for kind, columns in SMALL.items()
        for poles, column in columns.items()
        for hp, percent in zip(SMALL_HP, column, strict=True)
        if percent is not None
    }
    assert ours == again


def test_general_purpose_motors() -> None:
    """Up to 200 hp the library fluids, which has NEMA MG 1, 12-11 and 12-12; above it the column typed again."""
    compared = 0
    for row in read_table("us_motor_efficiency"):
        hp, percent = floats(row, "power_hp", "efficiency")
        enclosed, premium, poles = row["enclosure"] == "enclosed", row["level"] == "premium", int(row["poles"])
        if hp <= 200:
            again = 100 * CSA_motor_efficiency(hp * W_PER_HP, enclosed, poles, premium)
        else:
            again = LARGE[row["enclosure"], poles][LARGE_HP.index(int(hp))]
        assert percent == pytest.approx(again, abs=1e-6), row
        compared += 1
    assert compared == 257


def test_frames_and_keyways() -> None:
    ours = {
        r["frame"]: floats(r, "shaft_height", "across", "along", "shoulder", "shaft") for r in read_table("nema_frames")
    }
    assert ours == FRAMES
    # The keyseat of each shaft in sixteenths of an inch: NEMA MG 1, 4.4.1 (from memory), and a quarter of the shaft within a third.
    sixteenths = {0.625: 3, 0.875: 3, 1.125: 4, 1.375: 5, 1.625: 6, 1.875: 8, 2.125: 8, 2.375: 10}
    assert {floats(r, "shaft", "width") for r in read_table("keyways")} == {(u, n / 16) for u, n in sixteenths.items()}
    assert all(
        0.17 < width / shaft < 0.34 for shaft, width in (floats(r, "shaft", "width") for r in read_table("keyways"))
    )


def test_code_letters() -> None:
    rows = read_table("locked_rotor_letters")
    assert {r["letter"]: float(r["from"]) for r in rows} == LETTERS
    assert [r["below"] for r in rows[:-1]] == [r["from"] for r in rows[1:]] and rows[-1]["below"] == ""


def test_the_ladder_of_efficiencies_and_the_least_two_rungs_down() -> None:
    rows = read_table("nominal_efficiency")
    assert tuple(float(r["nominal"]) for r in rows) == LADDER
    assert tuple(float(r["minimum"]) for r in rows) == (*LADDER, *BELOW_THE_LADDER)[2:]


@pytest.mark.slow
def test_water() -> None:
    """CoolProp's IAPWS-95 at one atmosphere; at 0 and 100 °C, the edges of liquid, just inside. Printed to 0.01 kg/m³ and 0.1 J/kg K."""
    for row in read_table("water_properties"):
        celsius, density, heat = floats(row, "temperature", "density", "specific_heat")
        kelvin = 273.15 + min(max(celsius, 0.01), 99.9)
        assert density == pytest.approx(of_water("D", "T", kelvin, "P", ATMOSPHERE_PA, "Water"), abs=0.08), row
        assert heat == pytest.approx(of_water("C", "T", kelvin, "P", ATMOSPHERE_PA, "Water"), abs=1.0), row


def test_drives() -> None:
    """US Department of Energy, Tip Sheet 11, every printed point through the library fluids."""
    for row in read_table("drive_efficiency"):
        hp, load, percent = floats(row, "power_hp", "load", "efficiency")
        assert percent == pytest.approx(100 * VFD_efficiency(hp * W_PER_HP, load / 100), abs=0.01), row


def test_insulation_unbalance_and_overload() -> None:
    """IEC 60085; NEMA MG 1, 12.43 and figure 14-1; NFPA 70, 430.32 (from memory)."""
    rows = {r["class"]: (r["highest"], r["rise"], r["rise_service_factor"]) for r in read_table("insulation_classes")}
    assert rows == {
        "A": ("105", "60", "70"),
        "B": ("130", "80", "90"),
        "F": ("155", "105", "115"),
        "H": ("180", "125", ""),
    }
    # The hottest point stands 5 to 15 K over the rise by resistance on a 40 °C ambient.
    assert all(5 <= int(highest) - 40 - int(rise) <= 15 for highest, rise, _ in rows.values())
    derating = [floats(r, "unbalance", "derating") for r in read_table("voltage_unbalance")]
    assert derating == [(0, 1), (1, 1), (2, 0.95), (3, 0.88), (4, 0.82), (5, 0.75)]
    overload = {r["case"]: floats(r, "first", "next") for r in read_table("overload_protection")}
    assert overload == {
        "service factor 1.15 or more": (1.25, 1.4), "rise of 40 °C or less": (1.25, 1.4), "all other motors": (1.15, 1.3),
    }  # fmt: skip


def test_degrees_of_protection() -> None:
    """IEC 60529 (from memory): digits in order without a gap, and what the standard's words turn on in each."""
    rows = {(r["digit"], int(r["value"])): r["keeps_out"] for r in read_table("ip_code")}
    assert sorted(rows) == [("first", n) for n in range(7)] + [("second", n) for n in range(10)]
    turns_on = {
        ("first", 0): "no protection", ("first", 1): "50 mm", ("first", 2): "12.5 mm", ("first", 3): "2.5 mm", ("first", 4): "1.0 mm",
        ("first", 5): "harmful", ("first", 6): "wholly", ("second", 0): "no protection", ("second", 1): "straight", ("second", 2): "15°",
        ("second", 3): "60°", ("second", 4): "all sides", ("second", 5): "jets of water", ("second", 6): "strong jets",
        ("second", 7): "a while", ("second", 8): "lasting", ("second", 9): "hot jets",
    }  # fmt: skip
    for place, words in turns_on.items():
        assert words in rows[place], place
    assert not rows["second", 5].startswith("strong"), "5 is the weaker of the two"


def test_ordinary_slip_and_air_by_cooling() -> None:
    """Common practice, no source: typed a second time; each range holds what its words say of it."""
    slips = {r["motor"]: floats(r, "low", "high") for r in read_table("ordinary_slip")}
    assert slips == {"three-phase": (1, 5), "split-capacitor": (3, 12), "single-phase": (2, 6), "shaded-pole": (8, 20)}
    for row in read_table("ordinary_slip"):
        assert row["low"] in row["said"].split() and row["high"] in row["said"].split(), row
    air = {r["system"]: floats(r, "cfm_per_ton", "low", "high") for r in read_table("air_per_cooling")}
    assert list(air.values()) == [(400, 320, 500), (350, 300, 450), (450, 350, 550), (250, 200, 300)]
    assert all(low < usual < high for usual, low, high in air.values())


# Generic characteristics, judged by us: pressure and power over those at the point of best efficiency, by flow over its flow.
SHAPES = {
    "forward-curved": (0.50, ((0, 1.06, 0.28), (0.25, 1.01, 0.41), (0.5, 1, 0.57), (0.75, 1.02, 0.77), (1, 1, 1), (1.25, 0.93, 1.25),
                              (1.5, 0.8, 1.53), (1.75, 0.58, 1.84), (2, 0.25, 2.14), (2.15, 0, 2.3))),
    "backward-inclined": (0.65, ((0, 1.3, 0.42), (0.2, 1.33, 0.55), (0.4, 1.33, 0.7), (0.6, 1.28, 0.84), (0.8, 1.17, 0.94), (1, 1, 1),
                                 (1.1, 0.88, 1.005), (1.2, 0.74, 0.99), (1.4, 0.36, 0.9), (1.55, 0, 0.78))),
    "axial": (0.50, ((0, 1.75, 1.65), (0.2, 1.52, 1.42), (0.4, 1.33, 1.25), (0.55, 1.25, 1.17), (0.7, 1.27, 1.12), (0.85, 1.18, 1.07),
                     (1, 1, 1), (1.1, 0.82, 0.94), (1.2, 0.6, 0.86), (1.3, 0.32, 0.77), (1.4, 0, 0.68))),
    "pump": (0.55, ((0, 1.25, 0.51), (0.25, 1.245, 0.64), (0.5, 1.21, 0.745), (0.75, 1.13, 0.888), (1, 1, 1), (1.25, 0.81, 1.08),
                                (1.5, 0.55, 1.12), (1.85, 0, 1.1))),
}  # fmt: skip


def test_generic_characteristics() -> None:
    """Typed a second time; and by the laws that every wheel obeys: the best efficiency at the point itself, falling pressure beyond it,
    power of a forward-curved wheel rising all the way, of a backward-inclined one with a top, of an axial one falling."""
    rows = read_table("generic_shapes")
    columns = list(rows[0])
    for machine_type, (best, points) in SHAPES.items():
        own = [tuple(float(r[c]) for c in columns[2:]) for r in rows if r[columns[0]] == machine_type]
        assert own == [tuple(map(float, point)) for point in points], machine_type
        assert {float(r[columns[1]]) for r in rows if r[columns[0]] == machine_type} == {best}
        flow, pressure, power = np.array(points, dtype=float).T
        efficiency = flow * pressure / power
        assert flow[np.argmax(efficiency)] == 1.0, f"{machine_type} is best at its own point"
        beyond = pressure[flow >= 1]
        assert np.all(np.diff(beyond) < 0) and pressure[-1] == 0
        rises = np.diff(power)
        assert {"forward-curved": np.all(rises > 0), "axial": np.all(rises < 0)}.get(
            machine_type, rises[0] > 0 > rises[-1]
        ), machine_type


def test_between_rows_nothing_jumps() -> None:
    """Efficiency never falls from one size to the next, and rises by less than a slip of a leading digit (10 points) or the table's widest step does."""
    for name, keys, size, jump in (
        ("iec_efficiency_classes", ("class", "poles"), "power_kw", 8.0), ("electronic_motors", ("phases",), "power_w", 13.5),
    ):  # fmt: skip
        rows = read_table(name)
        for group in {tuple(r[key] for key in keys) for r in rows}:
            own = [floats(r, size, "efficiency") for r in rows if tuple(r[key] for key in keys) == group]
            assert all(a[0] < b[0] and 0 <= b[1] - a[1] <= jump for a, b in pairwise(own)), (name, group)


def test_places_of_a_traverse() -> None:
    """ISO 3966 and ASHRAE 111 (from memory): typed again; each rule mirrors itself about the middle."""
    assert LOG_TCHEBYCHEFF_SIDE == {
        5: (0.074, 0.288, 0.5, 0.712, 0.926), 6: (0.061, 0.235, 0.437, 0.563, 0.765, 0.939),
        7: (0.053, 0.203, 0.366, 0.5, 0.634, 0.797, 0.947),
    }  # fmt: skip
    assert LOG_LINEAR_DIAMETER == {
        6: (0.032, 0.135, 0.321), 8: (0.021, 0.117, 0.184, 0.345), 10: (0.019, 0.077, 0.153, 0.217, 0.361),
    }  # fmt: skip
    for places in LOG_TCHEBYCHEFF_SIDE.values():
        assert all(one + other == pytest.approx(1.0, abs=1e-9) for one, other in zip(places, places[::-1], strict=True))


@pytest.mark.parametrize(
    ("volts", "stands_for"),
    [
        (110, 115),
        (120, 115),
        (220, 230),
        (240, 230),
        (440, 460),
        (480, 460),
        (550, 575),
        (600, 575),
        (208, 208),
        (200, 200),
    ],
)
def test_volts_of_a_system_stand_for_a_column_to_their_ends(volts: float, stands_for: int) -> None:
    """The notes below NFPA 70, tables 430.248 and 430.250 (from memory): 110 to 120, 220 to 240, 440 to 480 and 550 to 600 V."""
    hp = THREE_PHASE_HP.index(1)
    assert wiring_current_a(W_PER_HP, volts, 3) == THREE_PHASE[stands_for][hp]


@pytest.mark.parametrize("volts", [109.5, 120.5, 219.5, 240.5, 439.5, 480.5, 549.5, 600.5])
def test_volts_beside_a_system_are_refused(volts: float) -> None:
    with pytest.raises(OutsideValidity):
        wiring_current_a(W_PER_HP, volts, 3)


def test_limits_of_unbalance_and_service_factor_are_those_of_the_standard() -> None:
    """NEMA MG 1, 14.36: above 5 % a motor is not run; NFPA 70, 430.32: 1.15 and more have the higher setting (from memory)."""
    assert unbalance_derating(0.05) == pytest.approx(0.75)
    with pytest.raises(OutsideValidity):
        unbalance_derating(0.0501)
    assert overload_setting_a(10.0, 1.15) == (12.5, 14.0) and overload_setting_a(10.0, 1.149) == (11.5, 13.0)
    assert overload_setting_a(10.0, 2.0) == (12.5, 14.0)
    for factor in (0.99, 2.01):
        with pytest.raises(OutsideValidity):
            overload_setting_a(10.0, factor)


def test_a_size_is_the_printed_one_to_its_rounding_and_no_other() -> None:
    """Sizes are taken as printed, 0.33 for a third (1 % apart), and nothing between two of them is read from a table."""
    assert wiring_current_a(0.33 * W_PER_HP, 115, 1) == 7.2
    for hp in (0.3, 0.36, 0.9, 1.1, 5.2):
        with pytest.raises(OutsideValidity):
            wiring_current_a(hp * W_PER_HP, 115, 1)


def test_a_motor_without_volts_or_of_no_phases_is_refused() -> None:
    for volts, phases in ((0.0, 1), (-230.0, 3), (230.0, 2)):
        with pytest.raises(OutsideValidity):
            locked_rotor_current_a("G", 1000.0, volts, phases)


STANDARD_HP = (
    1,
    1.5,
    2,
    3,
    5,
    7.5,
    10,
    15,
    20,
    25,
    30,
    40,
    50,
    60,
    75,
    100,
    125,
    150,
    200,
    250,
    300,
    350,
    400,
    450,
    500,
)
"""Power ratings of integral-horsepower motors: NEMA MG 1, 10.32.4 (from memory)."""


def test_every_standard_power_has_its_row_without_a_gap() -> None:
    series: dict[tuple[str, str, str], list[float]] = {}
    for row in read_table("us_motor_efficiency"):
        series.setdefault((row["level"], row["enclosure"], row["poles"]), []).append(float(row["power_hp"]))
    assert len(series) == 12
    for key, powers in series.items():
        first = STANDARD_HP.index(powers[0])
        assert tuple(powers) == STANDARD_HP[first : first + len(powers)] and first <= 1, key
