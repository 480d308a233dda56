"""Thousands of plates written in random orders and spellings: what is given is what stands on them, and most of it is given."""

from __future__ import annotations

import random
from dataclasses import dataclass

import pytest

from modest_rotor.core.numerals import NumberStyle
from modest_rotor.core.stations.plate_line import read_line
from tests.core.stations.test_plate_line import as_meant

COUNT = 120
WORDS: dict[str, tuple[tuple[str, ...], tuple[str, ...]]] = {  # before the number; after it
    "hp": (("HP", "H.P.", "hp:"), ("HP", "hp", "H.P.")),
    "kW": (("kW", "KW"), ("kW", "KW")),
    "V": (("V", "VOLTS", "Volts:", "VAC"), ("V", "VOLTS", "VAC", "V.")),
    "A": (("A", "AMPS", "FLA", "F.L.A.", "Amps:"), ("A", "AMPS", "FLA", "Amp")),
    "rpm": (("RPM", "R.P.M.", "min-1"), ("RPM", "rpm", "r/min", "min-1", "1/min")),
    "Hz": (("HZ", "Hz", "CYCLES"), ("HZ", "Hz", "CY")),
    "ph": (("PH", "PHASE"), ("PH", "PHASE", "Ø")),
    "µF": (("MFD", "CAP", "µF"), ("MFD", "uF", "µF")),
    "SF": (("SF", "S.F.", "SERVICE FACTOR"), ("SF",)),
}
FIELDS = {
    "hp": "rated_power", "kW": "rated_power", "V": "rated_voltage", "A": "rated_current", "rpm": "rated_speed", "Hz": "frequency",
    "ph": "phases", "µF": "run_capacitance", "SF": "service_factor",
}  # fmt: skip
UNITS = {"hp": "hp", "kW": "kW", "V": "V", "A": "A", "rpm": "rpm", "Hz": "Hz", "µF": "µF"}
SIZES_HP = (
    ("1/12", 62),
    ("1/6", 124),
    ("1/4", 187),
    ("1/3", 249),
    ("1/2", 373),
    ("3/4", 559),
    ("1", 746),
    ("1-1/2", 1119),
    ("5", 3730),
)
SIZES_KW = (("0.09", 90), ("0.18", 180), ("0.37", 370), ("0.75", 750), ("1.5", 1500), ("2.2", 2200), ("11", 11000))


@dataclass(frozen=True)
class Nameplate:
    """A plate as written, what stands on it, and whether its words stand on one side."""

    line: str
    truth: dict[str, str]
    one_sided: bool


def a_plate(rng: random.Random, comma: bool) -> Nameplate:
    """A motor whose numbers go together, by an efficiency times power factor between 0.35 and 0.8."""
    american = rng.random() < 0.6
    power, watts = rng.choice(SIZES_HP if american else SIZES_KW)
    three = watts > 700 and rng.random() < 0.7
    volts = rng.choice((460, 208, 230) if three else (115, 230, 208)) if american else (400 if three else 230)
    amps = watts / volts / (3**0.5 if three else 1) / rng.uniform(0.35, 0.8)
    hertz = 60 if american else 50
    speed = round(120 * hertz / rng.choice((2, 4, 6)) * rng.uniform(0.88, 0.985) / 5) * 5
    values = {
        "hp" if american else "kW": power, "V": str(volts), "A": f"{amps:.2g}" if amps < 10 else f"{amps:.0f}", "rpm": str(speed),
        "Hz": str(hertz), "ph": "3" if three else "1",
    }  # fmt: skip
    if not three and rng.random() < 0.6:
        values["µF"] = rng.choice(("5", "7.5", "10", "12.5", "15", "20"))
    if rng.random() < 0.4:
        values["SF"] = rng.choice(("1.0", "1.15", "1.25"))
    kept = rng.sample(sorted(values), rng.randint(min(4, len(values)), len(values)))
    side = rng.choice(("before", "after", "mixed"))
    joint, between = rng.choice((" ", " ", "")), rng.choice((" ", "  ", ", ", "\n"))
    pieces, truth = [], {}
    for name in kept:
        before, after = WORDS[name]
        written = values[name].replace(".", ",") if comma else values[name]
        leads = side == "before" or (side == "mixed" and rng.random() < 0.5)
        pieces.append(f"{rng.choice(before)} {written}" if leads else f"{written}{joint}{rng.choice(after)}")
        truth[FIELDS[name]] = f"{values[name]} {UNITS.get(name, '')}".strip()
    return Nameplate(between.join(pieces), truth, side != "mixed")


@pytest.mark.slow
@pytest.mark.parametrize("comma", [False, True], ids=["points", "commas"])
@pytest.mark.parametrize("style", [None, NumberStyle.POINT, NumberStyle.COMMA], ids=["unknown", "point", "comma"])
def test_nothing_is_given_that_does_not_stand_on_the_plate(comma: bool, style: NumberStyle | None) -> None:
    """Whatever the order: no field gets a number of another. With the words on one side at least 19 of 20 fields are given; with
    words on both sides in one line at least three quarters, and the rest is shown."""
    rng = random.Random(20 + comma)
    given, there = {True: 0, False: 0}, {True: 0, False: 0}
    for _ in range(COUNT):
        plate = a_plate(rng, comma)
        read = read_line(plate.line, style)
        right, got = as_meant(plate.truth), as_meant(read.values)
        wrong = {name: value for name, value in got.items() if right.get(name) != value}
        assert not wrong, f"{plate.line!r} gave {wrong}"
        given[plate.one_sided] += len(got)
        there[plate.one_sided] += len(right)
    assert given[True] >= 0.95 * there[True]
    assert given[False] >= 0.75 * there[False]
    assert there[True] > COUNT and there[False] > COUNT
