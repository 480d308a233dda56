"""What the entries of a plate stand for, against the standards' own tables; and a motor without a plate."""

from __future__ import annotations

import pytest

from modest_rotor.core.phrase import Figure, plain
from modest_rotor.core.stations.identification import Identification, Lead
from modest_rotor.core.stations.identity import identify
from modest_rotor.core.stations.plate import Plate
from modest_rotor.core.stations.plate_answer import plate_facts
from modest_rotor.core.stations.plate_meaning import meanings

SPLIT = {
    "phases": 1,
    "run_capacitance": "10 µF",
    "rated_power": "0.75 kW",
    "rated_voltage": "230 V",
    "frequency": "50 Hz",
}
THREE = {"phases": 3, "rated_power": "10 hp", "rated_voltage": "230 V", "rated_current": "28 A", "frequency": "60 Hz", "rated_speed": "1750 rpm"}  # fmt: skip


def said(label: str, **typed: object) -> list[str]:
    plate = Plate.model_validate(typed)
    return [plain(one.said) for one in meanings(plate, plate_facts(plate)) if one.label == label]


def figures(label: str, **typed: object) -> list[float]:
    plate = Plate.model_validate(typed)
    found = [one for one in meanings(plate, plate_facts(plate)) if one.label == label]
    return [piece.value for one in found for piece in one.said if isinstance(piece, Figure)]


def test_code_letter_in_amps() -> None:
    # NEMA MG 1, 10.37.2: letter G is 5.6 to 6.3 kVA/hp; 10 hp at 230 V, three-phase: 140.6 to 158.1 A.
    low, high = figures("Code letter", **THREE, code_letter="G")
    assert (low, high) == pytest.approx((140.58, 158.15), rel=1e-3)
    # Letter K, 1 hp, 115 V, one phase: 8.0 to 9.0 kVA/hp, 69.57 to 78.26 A.
    assert figures(
        "Code letter", phases=1, rated_power="1 hp", rated_voltage="115 V", code_letter="k"
    ) == pytest.approx([69.565, 78.261], rel=1e-4)
    assert "no row for letter O" in said("Code letter", code_letter="O")[0]


def test_guaranteed_efficiency_is_for_polyphase_motors_only() -> None:
    # NEMA MG 1, Table 12-10 (from memory): nominal 82.5 %, minimum 80.0 %.
    assert figures("Nominal efficiency", **THREE, nominal_efficiency="82.5 %") == pytest.approx([0.80])
    assert "polyphase" in said("Nominal efficiency", **SPLIT, nominal_efficiency="70 %")[0]
    assert "no row" in said("Nominal efficiency", **THREE, nominal_efficiency="83 %")[0]


def test_slip_ordinary_and_not() -> None:
    # 1,075 rpm on 1,200 is 10.4 %: an ordinary multi-speed blower motor. Common practice, no source.
    assert "is ordinary" in said("Slip", **{**SPLIT, "frequency": "60 Hz"}, rated_speed="1075 rpm")[0]
    assert "is not ordinary" in said("Slip", **{**THREE, "rated_speed": "1600 rpm"})[0]


def test_two_connections_and_the_wired_one() -> None:
    dual = {**THREE, "second_voltage": "460 V", "second_current": "14 A"}
    assert "Say which one" in said("Connection", **dual)[0]
    wired = plate_facts(Plate.model_validate({**dual, "wired_for": "other volts"}))
    assert (wired.rated_voltage_v, wired.rated_current_a) == (460.0, 14.0)
    assert plate_facts(Plate.model_validate(dual)).rated_voltage_v == 230.0


def test_service_factor_is_no_allowance() -> None:
    told = said("Service factor", **THREE, service_factor="1.15")
    assert "no allowance" in told[0] and len(told) == 2
    assert figures("Service factor", **THREE, service_factor="1.15")[1] == pytest.approx(32.2)  # 28 A × 1.15


def test_overload_from_plate_amps() -> None:
    # NEC 430.32 (from memory): 125 % with a service factor of 1.15, 115 % otherwise; next 140 and 130 %.
    assert figures("Overload", **THREE, service_factor="1.15") == pytest.approx([35.0, 39.2])
    assert figures("Overload", **THREE) == pytest.approx([32.2, 36.4])


def test_capacitor_rule_says_where_it_holds() -> None:
    # 30 to 50 µF/kW of 0.75 kW is 22.5 to 37.5 µF (common practice); a 10 µF label still wins.
    assert figures("Run capacitor", **SPLIT)[:2] == pytest.approx([22.5e-6, 37.5e-6])
    assert "outside" in said("Run capacitor", **SPLIT)[0] and "The rule is for" not in said("Run capacitor", **SPLIT)[0]
    assert "The rule is for" in said("Run capacitor", **{**SPLIT, "frequency": "60 Hz"})[0]


@pytest.mark.parametrize(
    ("frame", "words"),
    [("145TS", "short shaft"), ("56H", "second"), ("48Z", "not a standard shaft"), ("999", "not in the table"), ("odd!", "Not a frame")],
)  # fmt: skip
def test_frames_and_their_suffixes(frame: str, words: str) -> None:
    assert any(words in one for one in said("Frame", frame=frame))


def test_frame_dimensions() -> None:
    # NEMA MG 1, 4.4.1: frame 56 has D 3.5 in. and U 0.625 in.
    height, shaft, *_, keyway = figures("Frame", frame="56")
    assert keyway == pytest.approx(3 / 16 * 0.0254)
    assert "flat" in said("Frame", frame="48")[0]
    assert (height, shaft) == pytest.approx((3.5 * 0.0254, 0.625 * 0.0254))


def test_enclosures_insulation_rotation() -> None:
    assert "splashes" in said("Enclosure", enclosure="IP54")[0]
    assert "air stream" in said("Enclosure", enclosure="teao")[0]
    assert figures("Insulation", insulation="B") == [130.0]
    assert "from which end" in said("Rotation", rotation="clockwise")[0]
    assert "looking at the lead end" in said("Rotation", rotation="clockwise", rotation_seen_from="lead end")[0]
    assert "restarts without warning" in said("Thermal protection", protection="automatic reset")[0]


def test_an_electronic_motor_has_no_slip() -> None:
    facts = plate_facts(Plate.model_validate({**SPLIT, "motor_kind": "electronic", "rated_speed": "1050 rpm"}))
    assert facts.is_electronic and facts.poles is None and facts.kind is None


def identity(question: str, leads: tuple[Lead, ...] = (), **typed: object) -> object:
    found = identify(Identification.model_validate(typed), leads)
    return next(one for one in found if one.question.startswith(question))


def test_a_motor_without_a_plate() -> None:
    windings = identity("Windings", first_terminal="brown", first_second="11.6", second_third="8.5", third_first="3.1")
    assert "third is common, second start, brown run" in plain(windings.answer)  # type: ignore[attr-defined]
    opened = identity("Windings", first_second="OL", second_third="8.5", third_first="open")
    assert "thermal switch" in plain(opened.answer) and "cool" in opened.ask  # type: ignore[attr-defined]
    kind = identity("Kind", module="yes", plug="yes", run_capacitor="no", analogue="no")
    assert kind.motor_kind == "electronic" and kind.alternatives  # type: ignore[attr-defined]
    poles = identity("Poles", speed="820 rpm", frequency="60 Hz", loading="loaded")
    assert poles.doubtful and "lightly loaded" in poles.ask  # type: ignore[attr-defined]


def test_speeds_by_resistance() -> None:
    leads = tuple(
        Lead.model_validate({"id": f"s{i}", "colour": colour, "ohms": ohms})
        for i, (colour, ohms) in enumerate((("red", "19 Ω"), ("black", "9 Ω"), ("blue", "14 Ω")))
    )
    assert "black, blue, red" in plain(identity("Speeds", leads).answer)  # type: ignore[attr-defined]


def test_insulation_to_ground() -> None:
    assert identity("Insulation", to_ground="0.2 MΩ").doubtful  # type: ignore[attr-defined]
    assert not identity("Insulation", to_ground="OL").doubtful  # type: ignore[attr-defined]
