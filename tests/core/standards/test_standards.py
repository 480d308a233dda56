"""Tables of standards against printed values; where nothing else is said they are from memory. Two families are held against
the library fluids, which has them from the standards too."""

from __future__ import annotations

from itertools import pairwise

import pytest
from fluids import CSA_motor_efficiency, VFD_efficiency

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.standards.drives import drive_efficiency
from modest_rotor.core.standards.motors import (
    W_PER_HP,
    code_letter,
    code_letter_of,
    enclosure,
    iec_class_efficiency,
    insulation_class,
    locked_rotor_current_a,
    minimum_efficiency,
    nema_frame,
    small_motor_efficiency,
    unbalance_derating,
    us_motor_efficiency,
    voltage_unbalance,
    winding_temperature_c,
)
from modest_rotor.core.standards.wiring import overload_setting_a, wiring_current_a
from modest_rotor.core.tables import read_table
from tests.said import refused_with

KVA_PER_HP = 1000 / W_PER_HP


@pytest.mark.parametrize(
    ("letter", "low", "high"),
    [("A", 0, 3.15), ("E", 4.5, 5.0), ("G", 5.6, 6.3), ("K", 8.0, 9.0), ("P", 12.5, 14.0), ("U", 20.0, 22.4)],
)
def test_code_letters(letter: str, low: float, high: float) -> None:
    """NEMA MG 1, 10.37.2 (kVA per hp; from, up to but not including)."""
    found = code_letter(letter)
    assert (found.low, found.high) == pytest.approx((low * KVA_PER_HP, high * KVA_PER_HP))
    assert code_letter_of(found.low).letter == letter
    assert code_letter_of(high * KVA_PER_HP * 0.9999).letter == letter


def test_code_letters_leave_no_gap_and_refuse_others() -> None:
    letters = [code_letter(row["letter"]) for row in read_table("locked_rotor_letters")]
    assert all(one.high == other.low for one, other in pairwise(letters))
    assert letters[-1].letter == "V" and letters[-1].high is None
    for missing in "IOQ":
        with refused_with(OutsideValidity, "lookup-rows-of"):
            code_letter(missing)


def test_locked_rotor_amps() -> None:
    """10 hp, code G, 460 V three-phase: 70.3 to 79.1 A; 1 hp, code K, 115 V: 69.6 to 78.3 A. By the definition."""
    assert locked_rotor_current_a("g", 10 * W_PER_HP, 460.0, 3) == pytest.approx((70.28612, 79.071885), rel=1e-6)
    assert locked_rotor_current_a("K", W_PER_HP, 115.0, 1) == pytest.approx((69.565217, 78.26087), rel=1e-6)
    with refused_with(OutsideValidity, "motors-locked-rotor-current-a"):
        locked_rotor_current_a("K", W_PER_HP, 115.0, 2)


@pytest.mark.parametrize(("nominal", "least"), [(0.955 - 0.001, 0.945), (0.825, 0.80), (0.70, 0.66), (0.505, 0.46)])
def test_least_efficiency_behind_a_nominal_one(nominal: float, least: float) -> None:
    """NEMA MG 1, Table 12-10."""
    assert minimum_efficiency(nominal) == pytest.approx(least)


def test_every_pair_has_a_fifth_more_losses() -> None:
    """The rule behind the table: losses at the least efficiency are 1.2 times those at the nominal, within one step of the ranking."""
    for row in read_table("nominal_efficiency"):
        nominal, least = float(row["nominal"]) / 100, float(row["minimum"]) / 100
        assert (1 / least - 1) / (1 / nominal - 1) == pytest.approx(1.2, abs=0.09)


@pytest.mark.parametrize("enclosed", [False, True])
@pytest.mark.parametrize("premium", [False, True])
@pytest.mark.parametrize("poles", [2, 4, 6])
def test_general_purpose_motors_against_a_library(enclosed: bool, premium: bool, poles: int) -> None:
    """NEMA MG 1, tables 12-11 and 12-12, as fluids 1.3 has them."""
    level, case = ("premium" if premium else "energy efficient"), ("enclosed" if enclosed else "open")
    rows = [
        r
        for r in read_table("us_motor_efficiency")
        if (r["level"], r["enclosure"], r["poles"]) == (level, case, str(poles))
    ]
    assert len(rows) >= 18
    for row in rows:
        if float(row["power_hp"]) > 200:  # where the library ends; the law below holds the rest
            continue
        power = float(row["power_hp"]) * W_PER_HP
        ours = us_motor_efficiency(level, case, poles, power)
        assert ours == pytest.approx(CSA_motor_efficiency(power, enclosed, poles, premium), abs=1e-6), row


@pytest.mark.parametrize(
    ("name", "poles", "kw", "percent"),
    [("IE1", 4, 0.75, 72.1), ("IE2", 4, 1.5, 82.8), ("IE2", 2, 11, 89.4), ("IE3", 4, 7.5, 90.4), ("IE3", 6, 3, 85.6), ("IE4", 4, 15, 93.9)],
)  # fmt: skip
def test_iec_classes(name: str, poles: int, kw: float, percent: float) -> None:
    """IEC 60034-30-1:2014, 50 Hz."""
    assert iec_class_efficiency(name, poles, 1000 * kw) == pytest.approx(percent / 100)


def test_classes_rise_with_number_and_size() -> None:
    for poles in (2, 4, 6):
        table = {
            name: [
                float(r["efficiency"])
                for r in read_table("iec_efficiency_classes")
                if (r["class"], r["poles"]) == (name, str(poles))
            ]
            for name in ("IE1", "IE2", "IE3", "IE4")
        }
        for worse, better in zip(("IE1", "IE2", "IE3"), ("IE2", "IE3", "IE4"), strict=True):
            assert all(low < high for low, high in zip(table[worse], table[better], strict=True))
        assert all(column == sorted(column) for column in table.values())


def test_small_motors_and_sizes_between() -> None:
    """10 CFR 431.446."""
    assert small_motor_efficiency("capacitor-start", 2, 0.5 * W_PER_HP) == pytest.approx(0.724)
    assert small_motor_efficiency("three-phase", 4, W_PER_HP) == pytest.approx(0.835)
    with refused_with(OutsideValidity, "lookup-at-size"):
        small_motor_efficiency("three-phase", 4, 0.9 * W_PER_HP)
    with refused_with(OutsideValidity, "lookup-rows-of"):
        small_motor_efficiency("split-capacitor", 4, W_PER_HP)


def test_unbalanced_volts() -> None:
    """NEMA MG 1, 14.36: 460, 467 and 450 V have a mean of 459, a greatest distance of 9: 1.96 %. Figure 14-1, within 0.015."""
    assert voltage_unbalance(460, 467, 450) == pytest.approx(9 / 459)
    assert voltage_unbalance(0.5, 0.5, 0.5) == 0 and voltage_unbalance(0.9, 1.0, 1.1) == pytest.approx(0.1)
    for percent, derating in ((1, 1.0), (2, 0.95), (3, 0.88), (5, 0.75)):
        assert unbalance_derating(percent / 100) == pytest.approx(derating, abs=0.015)
    with refused_with(OutsideValidity, "motors-unbalance-derating"):
        unbalance_derating(0.06)
    with refused_with(OutsideValidity, "motors-voltage-unbalance"):
        voltage_unbalance(460, 460, 0)


def test_insulation_and_winding_temperature() -> None:
    """IEC 60085; NEMA MG 1, 12.43. 10 Ω at 20 °C and 13 Ω warm: 96.35 °C by the copper law."""
    assert [insulation_class(letter).highest_c for letter in "ABFH"] == [105, 130, 155, 180]
    assert (
        insulation_class("B").rise_with_service_factor_k == 90
        and insulation_class("H").rise_with_service_factor_k is None
    )
    assert winding_temperature_c(10.0, 20.0, 13.0) == pytest.approx(96.35, abs=0.005)
    assert winding_temperature_c(0.4, 20.0, 0.52) == pytest.approx(96.35, abs=0.005), (
        "the law is of the ratio: large motors have few ohms"
    )
    for cold, warm in ((10.0, 0.0), (0.0, 10.0), (-1.0, 10.0)):
        with refused_with(OutsideValidity, "motors-winding-temperature-c"):
            winding_temperature_c(cold, 20.0, warm)


def test_enclosures() -> None:
    """IEC 60529."""
    assert enclosure("IP54") == ("dust in harmful amounts", "splashes from all sides")
    assert enclosure("ipx5")[0].code == "motors-enclosure-stated"
    with refused_with(OutsideValidity, "motors-enclosure-ip-code"):
        enclosure("IP5")


@pytest.mark.parametrize(
    ("frame", "inches"),
    [("56", (3.5, 4.88, 3.0, 2.75, 0.625)), ("145T", (3.5, 5.5, 5.0, 2.25, 0.875)), ("254t", (6.25, 10.0, 8.25, 4.25, 1.625)), ("365T", (9.0, 14.0, 12.25, 5.88, 2.375))],
)  # fmt: skip
def test_frames(frame: str, inches: tuple[float, ...]) -> None:
    """NEMA MG 1, 4.4.1. The first two digits of a three-digit frame are four times its shaft height in inches."""
    found = nema_frame(frame)
    assert tuple(size / 0.0254 for size in vars(found).values()) == pytest.approx(inches)
    for row in read_table("nema_frames"):
        if len(row["frame"].rstrip("TS")) == 3:
            assert float(row["shaft_height"]) == pytest.approx(int(row["frame"][:2]) / 4)
    assert nema_frame("284TS").shaft_m / 0.0254 == pytest.approx(1.625)


@pytest.mark.parametrize(
    ("frame", "gone"),
    [
        ("56C", set()), ("56H", set()), ("145TC", set()), ("48Y", {"across_m", "along_m", "shoulder_m"}),
        ("254TZ", {"shoulder_m", "shaft_m"}), ("56Z", {"shoulder_m", "shaft_m"}), ("184JM", None), ("254TS", {"shoulder_m", "shaft_m"}),
    ],
)  # fmt: skip
def test_what_a_suffix_leaves_of_a_frame(frame: str, gone: set[str] | None) -> None:
    """NEMA MG 1, 4.2.2 and 11.01: a face leaves all; Z, J and a short shaft leave the feet; Y leaves the height."""
    if gone is None:
        with pytest.raises(OutsideValidity):
            nema_frame(frame)
        return
    found = vars(nema_frame(frame))
    whole = vars(nema_frame(frame[:2] if not frame[2:3].isdigit() else frame[:3] + "T"))
    assert {name for name, size in found.items() if size is None} == gone
    assert all(found[name] == whole[name] for name in set(whole) - gone)


@pytest.mark.parametrize(
    ("hp", "volts", "amps"),
    [(0.33, 110, 7.2), (0.17, 115, 4.4), (1 / 3, 120, 7.2), (0.5, 240, 4.9)],
)
def test_sizes_and_volts_as_plates_print_them(hp: float, volts: float, amps: float) -> None:
    """NFPA 70, table 430.248 and its note on system volts (from memory): 0.33 hp is a third, 110 to 120 V stand for 115."""
    assert wiring_current_a(hp * W_PER_HP, volts, 1) == amps


def test_volts_of_three_phase_systems_and_sizes_above_100_hp() -> None:
    """NFPA 70, table 430.250 (from memory): 125 hp at 460 V 156 A; 480 V is a system's name for the same."""
    assert wiring_current_a(125 * W_PER_HP, 480, 3) == wiring_current_a(125 * W_PER_HP, 460, 3) == 156
    assert wiring_current_a(200 * W_PER_HP, 575, 3) == 192
    with pytest.raises(OutsideValidity):
        wiring_current_a(0.4 * W_PER_HP, 115, 1)  # between a third and a half: no size
    with pytest.raises(OutsideValidity):
        wiring_current_a(0.5 * W_PER_HP, 277, 1)


@pytest.mark.parametrize(
    ("phases", "hp", "volts", "amps"),
    [(1, 0.5, 115, 9.8), (1, 1, 230, 8.0), (1, 5, 208, 30.8), (3, 0.5, 460, 1.1), (3, 7.5, 208, 24.2), (3, 25, 575, 27), (3, 100, 460, 124)],
)  # fmt: skip
def test_currents_for_wiring(phases: int, hp: float, volts: float, amps: float) -> None:
    """NFPA 70 (NEC), tables 430.248 and 430.250."""
    assert wiring_current_a(hp * W_PER_HP, volts, phases) == pytest.approx(amps)


def test_columns_of_the_wiring_table_hang_together() -> None:
    """The printed columns are multiples of that for 230 V: 2, 1.15, 1.10, 0.5 and 0.4, as finely as they are printed."""
    rows = {(r["phases"], r["power_hp"], r["voltage"]): float(r["current"]) for r in read_table("wiring_currents")}
    for (phases, power, volts), amps in rows.items():
        ratio = {"115": 2, "200": 1.15, "208": 1.10, "230": 1, "460": 0.5, "575": 0.4}[volts]
        assert amps == pytest.approx(ratio * rows[phases, power, "230"], rel=0.025, abs=0.06)
    with pytest.raises(OutsideValidity, match="voltage: 115, 200, 208"):
        wiring_current_a(W_PER_HP, 277, 1)


def test_overload_settings() -> None:
    """NFPA 70 (NEC), 430.32: 3.6 A without a service factor 4.14 A; 5 A with 1.25 at most 6.25 A."""
    assert overload_setting_a(3.6) == pytest.approx((4.14, 4.68))
    assert overload_setting_a(5.0, 1.25) == pytest.approx((6.25, 7.0))
    assert overload_setting_a(5.0, 1.0, cool=True)[0] == pytest.approx(6.25)
    with refused_with(OutsideValidity, "wiring-overload-setting-a"):
        overload_setting_a(5.0, 0.5)


@pytest.mark.parametrize("hp", [3, 5, 7.5, 10, 20, 60, 100, 400])
@pytest.mark.parametrize("load", [0.016, 0.125, 0.3, 0.75, 1.0])
def test_drives_against_a_library(hp: float, load: float) -> None:
    """US Department of Energy, Tip Sheet 11, as fluids 1.3 has it; it reads between rows alike, to 0.1 %."""
    assert drive_efficiency(hp * W_PER_HP, load) == pytest.approx(VFD_efficiency(hp * W_PER_HP, load), abs=0.0015)


def test_drives_outside_the_table_are_refused() -> None:
    for hp, load, code in (
        (1, 0.5, "drives-drive-efficiency"), (500, 0.5, "drives-drive-efficiency"), (10, 0.005, "lookup-between"), (10, 1.2, "lookup-between"),
    ):  # fmt: skip
        with refused_with(OutsideValidity, code):
            drive_efficiency(hp * W_PER_HP, load)
