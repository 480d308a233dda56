"""The plate typed as one line: any order, any case, nothing lost."""

from __future__ import annotations

import itertools
import re
from typing import Any

import pytest

from modest_rotor.core.entry import Entry, read_entry
from modest_rotor.core.numerals import NumberStyle, plain_fractions
from modest_rotor.core.stations.nameplate import Nameplate
from modest_rotor.core.stations.plate_amounts import LISTED, ODD, Kinds
from modest_rotor.core.stations.plate_binding import Bound
from modest_rotor.core.stations.plate_line import read_line
from modest_rotor.core.stations.plate_tokens import Stands, Word
from modest_rotor.core.stations.sheet import quantity_of
from tests.core.stations.plates import PLATES, SHORT
from tests.said import codes_of

WHOLE = "3/4 HP 208-230V 4.8A 1075RPM 60HZ 1PH 10uF 370VAC SF1.0 FR48Y INS B"
EXPECTED = {
    "rated_power": "3/4 hp", "rated_voltage": "208-230 V", "rated_current": "4.8 A", "rated_speed": "1075 rpm",
    "frequency": "60 Hz", "phases": 1, "run_capacitance": "10 µF", "capacitor_voltage": "370 V", "service_factor": "1.0",
    "frame": "48Y", "insulation": "B",
}  # fmt: skip


def test_a_whole_plate() -> None:
    assert read_line(WHOLE).values == EXPECTED
    assert all(piece.taken_for for piece in read_line(WHOLE).pieces)


def test_any_case_and_any_order() -> None:
    assert read_line(WHOLE.lower()).values == EXPECTED
    parts = ["3/4 HP", "208-230V", "4.8A", "1075RPM", "60HZ", "1PH", "10uF 370VAC", "SF1.0", "FR48Y", "INS B"]
    for turn in range(len(parts)):
        assert read_line(" ".join(parts[turn:] + parts[:turn])).values == EXPECTED
    for first, second in itertools.permutations(range(4), 2):
        shuffled = [parts[first], *parts[4:], parts[second], *(parts[i] for i in range(4) if i not in (first, second))]
        assert read_line("  ".join(shuffled)).values == EXPECTED


def test_what_is_not_recognised_stays_marked() -> None:
    pieces = read_line("1/2 HP HARBOUR PAINT 230V").pieces
    assert [(piece.text, piece.taken_for is None) for piece in pieces] == [
        ("1/2 HP", False), ("HARBOUR PAINT", True), ("230V", False),
    ]  # fmt: skip


@pytest.mark.parametrize(
    ("line", "expected"),
    [
        ("230/460 V 28/14 A", {"rated_voltage": "230 V", "second_voltage": "460 V", "rated_current": "28 A", "second_current": "14 A"}),
        ("115/208-230V", {"rated_voltage": "115 V", "second_voltage": "208-230 V"}),
        ("208-230V 5.0-4.6A", {"rated_voltage": "208-230 V", "rated_current": "4.6 A"}),
        ("35+5 MFD 440VAC", {"run_capacitance": "5 µF", "capacitor_voltage": "440 V", "shared_capacitor": "yes"}),
        ("HZ 50 PH 3 0.75 KW", {"frequency": "50 Hz", "phases": 3, "rated_power": "0.75 kW"}),
        ("1-1/2 hp sfa 6.1 fla 5.3", {"rated_power": "1-1/2 hp", "service_factor_current": "6.1 A", "rated_current": "5.3 A"}),
        ("KVA CODE K NEMA NOM EFF 82.5 PF .62", {"code_letter": "K", "nominal_efficiency": "82.5 %", "power_factor": ".62"}),
        ("TEAO AMB 60C AIR OVER CWLE", {"enclosure": "TEAO", "ambient": "60 °C", "duty": "air over", "rotation": "clockwise", "rotation_seen_from": "lead-end"}),
        ("thermally protected auto", {"protection": "automatic"}),
        ("manual reset IP55 S1 rev", {"protection": "manual", "enclosure": "IP55", "duty": "s1", "rotation": "reversible"}),
    ],
)  # fmt: skip
def test_abbreviations(line: str, expected: dict[str, object]) -> None:
    assert read_line(line).values == expected


def test_every_value_is_one_its_field_takes() -> None:
    plate = Nameplate.model_validate(read_line(WHOLE).values)
    assert plate.rated_power == read_entry("rated_power", "3/4 hp")
    for name, value in EXPECTED.items():
        quantity = quantity_of(Nameplate, name)
        if quantity:
            read_entry(quantity, str(value))


def test_a_value_that_cannot_be_is_refused_in_place_and_the_rest_kept() -> None:
    read = read_line("99999 HP 230V")
    assert read.values == {"rated_voltage": "230 V"}
    refused = read.pieces[0]
    assert refused.text == "99999 HP" and refused.refused and "no plate has 99999 hp" in refused.refused


def expected_of(told: str) -> tuple[dict[str, str], set[str]]:
    """The fields that a plate must give, and those that must be asked about."""
    gives, asks = {}, set()
    for part in filter(None, told.split("; ")):
        if part.startswith("?"):
            asks.add(SHORT[part[1:]])
        else:
            name, _, value = part.partition("=")
            gives[SHORT[name]] = value
    return gives, asks


def as_meant(values: dict[str, Any]) -> dict[str, Any]:
    """The same as a plate holds it: what is typed in one way or another means the same."""
    plate = Nameplate.model_validate(
        {name: int(value) if name == "phases" else value for name, value in values.items()}
    )
    meant = {name: getattr(plate, name) for name in values}
    return {name: (one.low, one.si) if isinstance(one, Entry) else one for name, one in meant.items()}


@pytest.mark.parametrize("style", [None, NumberStyle.POINT, NumberStyle.COMMA], ids=["unknown", "point", "comma"])
def test_a_hundred_plates_are_read_right_or_asked_about_and_never_silently_wrong(style: NumberStyle | None) -> None:
    """In the style of the place or in none: whatever is given is what the plate says; what is not given shows why."""
    assert len(PLATES) >= 100
    for line, told in PLATES:
        is_read_as_told(line, told, style)


def is_read_as_told(line: str, told: str, style: NumberStyle | None) -> None:
    """What is taken for a plate's values is what stands on it."""
    gives, asks = expected_of(told)
    read = read_line(line, style)
    got = as_meant(read.values)
    right = as_meant(gives)
    settled = asks if style is not None and ("1.200" in line or "1,200" in line) else set()
    assert {name: value for name, value in got.items() if name not in settled} == right, line
    shown = sum(piece.refused is not None for piece in read.pieces)
    assert shown >= (len(asks - settled) > 0), line
    if not asks:
        assert shown == ("99999" in line), line


def test_there_are_a_hundred_of_them_and_nothing_of_them_is_dropped() -> None:
    """Every letter and digit that was typed stands in some piece, in its order."""
    assert len(PLATES) >= 100
    for line, _ in PLATES:
        pieces = "".join(piece.text for piece in read_line(line, None).pieces)
        typed = re.sub(r"[\W_]", "", plain_fractions(line))
        if "\n" not in line:
            assert re.sub(r"[\W_]", "", pieces) == typed
        else:
            assert sorted(re.sub(r"[\W_]", "", pieces)) == sorted(typed)


def test_nothing_gives_nothing() -> None:
    assert read_line("").pieces == ()
    assert read_line(" , ; ").pieces == ()


@pytest.mark.parametrize(
    ("kind", "numbers", "unit", "costs"),
    [
        ("volts", "115/230", "V", 0.0),  # lists of volts, amps and speeds are what plates carry
        ("amps", "9.6/4.8", "A", 0.0),
        ("speed", "1140/1075/825", "rpm", 0.0),
        ("frequency", "60", "Hz", 0.0),
        ("frequency", "50/60", "Hz", LISTED),  # of anything else a list is a little odd, by each number more
        ("capacitor", "5/10", "µF", LISTED),
        ("volts", "117", "V", ODD),
        ("frequency", "40", "Hz", ODD),
    ],
)
def test_what_taking_numbers_for_something_costs(kind: str, numbers: str, unit: str, costs: float) -> None:
    bound = Bound(0, 1, 0, numbers, Word(kind, kind, unit, Stands.BOTH), unit)
    assert Kinds(None).judge(bound) == pytest.approx(costs)


@pytest.mark.parametrize(
    ("line", "asked"),
    [
        ("59 W 115 V 5 A 60 Hz 1 ph", False), ("60 W 115 V 5 A 60 Hz 1 ph", True), ("60 W 115 V 4 A 60 Hz 1 ph", False),
        ("59 W 115 V 30 A 60 Hz 1 ph", True),
    ],
)  # fmt: skip
def test_the_smallest_motors_may_take_far_more_volt_amps_than_they_give(line: str, asked: bool) -> None:
    """Shaded-pole motors under 60 W give 2 % of their volt-amps or more, others 12 %. Common practice, no source."""
    assert any(piece.refused for piece in read_line(line).pieces) is asked


@pytest.mark.parametrize("line", ["4.4 AMPS FLA 5.2 AMPS SFA 115 V", "5.2 A SFA 4.4 A FLA 115 V"])
def test_a_unit_and_the_word_behind_it_belong_to_the_number_before(line: str) -> None:
    values = read_line(line).values
    assert (values["rated_current"], values["service_factor_current"]) == ("4.4 A", "5.2 A")


@pytest.mark.parametrize(
    ("line", "side"),
    [("5 HP 115 V 1 A 60 Hz", "more"), ("10 W 230 V 20 A 50 Hz", "far less"), ("1/2 HP 115 V 6.8 A", None), ("1 HP 230/460 V 3.2/1.6 A 3 PH", None)],
)  # fmt: skip
def test_a_power_that_volts_and_amps_cannot_be_is_asked_about_on_its_side(line: str, side: str | None) -> None:
    """Volt-amperes hold any power; a motor gives its shaft more than a tenth of them. Definition of apparent power."""
    read = read_line(line, NumberStyle.POINT)
    asked = {
        piece.refused
        for piece in read.pieces
        if piece.refused and "plate-values-power-against-volt-amps-w-v" in codes_of(piece.refused)
    }
    assert len(asked) == (1 if side else 0)
    if side:
        assert f"W is {side} than" in asked.pop() and not {"rated_power", "rated_voltage", "rated_current"} & set(
            read.values
        )
