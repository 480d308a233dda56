"""What the entries of a plate stand for, against the standards' own tables; and a motor without a plate."""

from __future__ import annotations

import pytest

from modest_rotor.core.phrase import Figure, Phrase, plain
from modest_rotor.core.stations.identification import Identification, Lead
from modest_rotor.core.stations.identity import identify
from modest_rotor.core.stations.nameplate import Nameplate
from modest_rotor.core.stations.plate_answer import plate_facts
from modest_rotor.core.stations.plate_meaning import meanings
from tests.said import codes_of, says

SPLIT = {
    "phases": 1,
    "run_capacitance": "10 µF",
    "rated_power": "0.75 kW",
    "rated_voltage": "230 V",
    "frequency": "50 Hz",
}
THREE = {"phases": 3, "rated_power": "10 hp", "rated_voltage": "230 V", "rated_current": "28 A", "frequency": "60 Hz", "rated_speed": "1750 rpm"}  # fmt: skip


def said(label: str, **typed: object) -> list[Phrase]:
    plate = Nameplate.model_validate(typed)
    return [one.said for one in meanings(plate, plate_facts(plate)) if one.label == label]


def words(label: str, **typed: object) -> list[str]:
    return [plain(one) for one in said(label, **typed)]


def figures(label: str, **typed: object) -> list[float]:
    plate = Nameplate.model_validate(typed)
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
    assert "lookup-rows-of" in codes_of(said("Code letter", code_letter="O")[0])


def test_guaranteed_efficiency_is_for_polyphase_motors_only() -> None:
    # NEMA MG 1, Table 12-10 (from memory): nominal 82.5 %, minimum 80.0 %.
    assert figures("Nominal efficiency", **THREE, nominal_efficiency="82.5 %") == pytest.approx([0.80])
    assert "plate-meaning-efficiency" in codes_of(said("Nominal efficiency", **SPLIT, nominal_efficiency="70 %")[0])
    assert says("lookup-rows-of", words("Nominal efficiency", **THREE, nominal_efficiency="83 %")[0])


def test_slip_ordinary_and_not() -> None:
    # 1,075 rpm on 1,200 is 10.4 %: an ordinary multi-speed blower motor. Common practice, no source.
    assert "plate-meaning-slip-ordinary" in codes_of(
        said("Slip", **{**SPLIT, "frequency": "60 Hz"}, rated_speed="1075 rpm")[0]
    )
    assert says("plate-meaning-slip-ordinary-look", words("Slip", **{**THREE, "rated_speed": "1600 rpm"})[0])


def test_two_connections_and_the_wired_one() -> None:
    dual = {**THREE, "second_voltage": "460 V", "second_current": "14 A"}
    assert "plate-meaning-connections-two-connections" in codes_of(said("Connection", **dual)[0])
    wired = plate_facts(Nameplate.model_validate({**dual, "wired_for": "other volts"}))
    assert (wired.rated_voltage_v, wired.rated_current_a) == (460.0, 14.0)
    assert plate_facts(Nameplate.model_validate(dual)).rated_voltage_v == 230.0


def test_service_factor_is_no_allowance() -> None:
    told = said("Service factor", **THREE, service_factor="1.15")
    assert "plate-meaning-service-factor-may-give" in codes_of(told[0]) and len(told) == 2
    assert figures("Service factor", **THREE, service_factor="1.15")[1] == pytest.approx(32.2)  # 28 A × 1.15


def test_overload_from_plate_amps() -> None:
    # NEC 430.32 (from memory): 125 % with a service factor of 1.15, 115 % otherwise; next 140 and 130 %.
    assert figures("Overload", **THREE, service_factor="1.15") == pytest.approx([35.0, 39.2])
    assert figures("Overload", **THREE) == pytest.approx([32.2, 36.4])


def test_capacitor_rule_says_where_it_holds() -> None:
    # 30 to 50 µF/kW of 0.75 kW is 22.5 to 37.5 µF (common practice); a 10 µF label still wins.
    assert figures("Run capacitor", **SPLIT)[:2] == pytest.approx([22.5e-6, 37.5e-6])
    assert "plate-meaning-capacitor-outside" in codes_of(
        said("Run capacitor", **SPLIT)[0]
    ) and "plate-meaning-capacitor" not in codes_of(said("Run capacitor", **SPLIT)[0])
    assert "plate-meaning-capacitor" in codes_of(said("Run capacitor", **{**SPLIT, "frequency": "60 Hz"})[0])


@pytest.mark.parametrize(
    ("frame", "expected"),
    [("145TS", "short shaft"), ("56H", "second"), ("48Z", "not a standard shaft"), ("999", "not in the table"), ("odd!", "Not a frame")],
)  # fmt: skip
def test_frames_and_their_suffixes(frame: str, expected: str) -> None:
    assert any(expected in one for one in words("Frame", frame=frame))


def test_frame_dimensions() -> None:
    # NEMA MG 1, 4.4.1: frame 56 has D 3.5 in. and U 0.625 in.
    height, shaft, keyway, *_ = figures("Frame", frame="56")
    assert keyway == pytest.approx(3 / 16 * 0.0254)
    assert "plate-meaning-keyway-flat-place" in codes_of(said("Frame", frame="48")[0])
    assert (height, shaft) == pytest.approx((3.5 * 0.0254, 0.625 * 0.0254))


def test_a_z_leaves_the_feet_and_not_the_shaft_a_y_the_height_alone() -> None:
    """NEMA MG 1, 11.01: Z marks another shaft, Y other mounting; a C face changes neither."""
    whole, other_shaft = words("Frame", frame="254T")[0], words("Frame", frame="254TZ")[0]
    assert "thick" in whole and "measure" not in whole
    assert (
        says("plate-meaning-dimensions-length-thickness", other_shaft)
        and says("plate-meaning-dimensions-between-holes", other_shaft)
        and "thick" not in other_shaft.split(";")[1]
    )
    assert words("Frame", frame="56C")[0] == words("Frame", frame="56")[0]
    assert (
        says("plate-meaning-dimensions-feet-their", words("Frame", frame="48Y")[0])
        and "thick" in words("Frame", frame="48Y")[0]
    )


def test_an_iec_class_says_what_it_stands_for() -> None:
    """IEC 60034-30-1: IE2, four poles, 0.75 kW, 50 Hz: 79.6 %; IE3 82.5 % (from memory)."""
    plate = {"rated_power": "0.75 kW", "rated_speed": "1420 rpm", "frequency": "50 Hz", "phases": 3}
    assert figures("Efficiency class", efficiency_class="IE2", **plate) == pytest.approx([0.796])
    assert figures("Efficiency class", efficiency_class="IE3", **plate) == pytest.approx([0.825])
    assert "plate-meaning-efficiency-class-least-nominal" in codes_of(
        said("Efficiency class", efficiency_class="IE3")[0]
    )


def test_plain_thermal_protection_is_taken_as_what_restarts_without_warning() -> None:
    assert "plate-meaning-protection-opens-when-hot" in codes_of(
        said("Thermal protection", protection="thermally protected")[0]
    )


def test_enclosures_insulation_rotation() -> None:
    assert "table-ip-code-keeps-out-second-4" in codes_of(said("Enclosure", enclosure="IP54")[0])
    assert says("table-enclosure-words-means-TEAO", words("Enclosure", enclosure="teao")[0])
    assert figures("Insulation", insulation="B") == [130.0]
    assert says("plate-meaning-rotation-means-nothing", words("Rotation", rotation="clockwise")[0])
    assert "looking at the lead end" in words("Rotation", rotation="clockwise", rotation_seen_from="lead end")[0]
    assert says("plate-meaning-protection-opens-when", words("Thermal protection", protection="automatic reset")[0])


def test_an_electronic_motor_has_no_slip() -> None:
    facts = plate_facts(Nameplate.model_validate({**SPLIT, "motor_kind": "electronic", "rated_speed": "1050 rpm"}))
    assert facts.is_electronic and facts.poles is None and facts.kind is None


def identity(question: str, leads: tuple[Lead, ...] = (), **typed: object) -> object:
    found = identify(Identification.model_validate(typed), leads)
    return next(one for one in found if one.question.startswith(question))


def test_a_motor_without_a_plate() -> None:
    windings = identity("Windings", first_terminal="brown", first_second="11.6", second_third="8.5", third_first="3.1")
    assert "third is common, second start, brown run" in plain(windings.answer)  # type: ignore[attr-defined]
    opened = identity("Windings", first_second="OL", second_third="8.5", third_first="open")
    assert "identity-winding-words-winding-open" in codes_of(
        opened.answer
    ) and "identity-winding-words-let-cool" in codes_of(opened.ask)  # type: ignore[attr-defined]
    kind = identity("Kind", module="yes", plug="yes", run_capacitor="no", analogue="no")
    assert kind.motor_kind == "electronic" and kind.alternatives  # type: ignore[attr-defined]
    poles = identity("Poles", speed="820 rpm", frequency="60 Hz", loading="loaded")
    assert poles.doubtful and "identity-poles-read-speed" in codes_of(poles.ask)  # type: ignore[attr-defined]


def test_speeds_by_resistance() -> None:
    leads = tuple(
        Lead.model_validate({"id": f"s{i}", "colour": colour, "ohms": ohms})
        for i, (colour, ohms) in enumerate((("red", "19 Ω"), ("black", "9 Ω"), ("blue", "14 Ω")))
    )
    assert "black, blue, red" in plain(identity("Speeds", leads).answer)  # type: ignore[attr-defined]


def test_insulation_to_ground() -> None:
    assert identity("Insulation", to_ground="0.2 MΩ").doubtful  # type: ignore[attr-defined]
    assert not identity("Insulation", to_ground="OL").doubtful  # type: ignore[attr-defined]


NO_PARTS = dict.fromkeys(("run_capacitor", "start_capacitor", "switch", "relay", "module", "plug", "analogue"), "no")


@pytest.mark.parametrize("windings", [{}, {"first_second": "5", "second_third": "5", "third_first": "5"}])
def test_a_single_phase_plate_without_parts_is_never_three_phase_first(windings: dict[str, str]) -> None:
    asked = Identification.model_validate(NO_PARTS | windings)
    single, three = (
        next(one for one in identify(asked, (), phases) if one.question.startswith("Kind")) for phases in (1, 3)
    )
    assert single.motor_kind != "three-phase" and three.motor_kind in ("three-phase", "electronic")


def test_a_sum_that_is_only_nearly_kept_is_doubted() -> None:
    """6.5 against 2 + 4 Ω is beyond the meter's 95 % error; 6.1 is not."""
    strained = identity("Windings", first_second="6.5", second_third="2", third_first="4")
    assert strained.doubtful and "identity-winding-words-perhaps-but" in codes_of(strained.answer) and strained.ask  # type: ignore[attr-defined]
    kept = identity("Windings", first_second="6.1", second_third="2", third_first="4")
    assert not kept.doubtful and "identity-winding-words-highest-sum" in codes_of(kept.answer)  # type: ignore[attr-defined]


def test_the_auxiliary_windings_lead_is_not_the_lowest_speed() -> None:
    ohms = (("black", "9 Ω"), ("blue", "11 Ω"), ("red", "14 Ω"), ("brown", "42 Ω"))
    leads = tuple(
        Lead.model_validate({"id": f"s{i}", "colour": colour, "ohms": ohm}) for i, (colour, ohm) in enumerate(ohms)
    )
    assert "black, blue, red" in plain(identity("Speeds", leads).answer)  # type: ignore[attr-defined]
    other = identity("A lead that is perhaps no speed", leads)
    assert "brown" in plain(other.answer) and other.doubtful  # type: ignore[attr-defined]
    said_low = (*leads[:3], leads[3].model_copy(update={"function": "low"}))
    assert "brown" in plain(identity("Speeds", said_low).answer)  # type: ignore[attr-defined]


def test_a_sealed_machine_is_read_to_ground_before_its_pairs() -> None:
    pairs = {"first_second": "6", "second_third": "2", "third_first": "4", "hermetic": "yes"}
    first = identify(Identification.model_validate(pairs), ())
    assert [one.question for one in first] == [
        "Terminals of a sealed machine"
    ] and "identity-hermetic-read-each" in codes_of(first[0].ask or "")
    assert "identity-hermetic-pins-sealed" in codes_of(first[0].answer)
    sound = [one.question for one in identify(Identification.model_validate(pairs | {"to_ground": "OL"}), ())]
    assert sound.index("Insulation to ground") < sound.index("Windings, from three resistances")
    grounded = identify(Identification.model_validate(pairs | {"to_ground": "0.1 MΩ"}), ())
    assert "identity-hermetic-pin-grounded" in codes_of(grounded[0].ask or "")


@pytest.mark.parametrize(
    ("kind", "expected", "never"),
    [
        ("split-capacitor", "auxiliary winding", "two of its three"), ("single-phase", "start winding", "two of its three"),
        ("shaded-pole", "turn the stator", "exchange"), ("three-phase", "two of its three leads", "winding"),
        ("electronic", "rotation plug", "auxiliary"),
    ],
)  # fmt: skip
def test_each_kind_is_turned_the_other_way_by_its_own_means(kind: str, expected: str, never: str) -> None:
    plate = {
        "motor_kind": kind,
        "rotation": "clockwise",
        "rotation_seen_from": "shaft end",
        "phases": 3 if kind == "three-phase" else 1,
    }
    (told,) = words("The other way round", **plate)
    assert expected in told and never not in told.lower()


def test_unreadable_microfarads_are_offered_roughly_and_marked_so() -> None:
    plate = {
        "rated_power": "0.37 kW",
        "rated_voltage": "230 V",
        "frequency": "50 Hz",
        "phases": 1,
        "motor_kind": "split-capacitor",
    }
    assert figures("Run capacitor", **plate) == pytest.approx([11.1e-6, 18.5e-6])
    assert "plate-meaning-capacitor-f-cannot" in codes_of(said("Run capacitor", **plate)[0])


def test_a_synchronous_plate_speed_asks_for_a_magnet_or_reluctance_motor_and_is_none_of_its_contradictions() -> None:
    asked = {
        "rated_power": "2 hp",
        "rated_voltage": "460 V",
        "rated_current": "2.6 A",
        "rated_speed": "1800 rpm",
        "frequency": "60 Hz",
        "phases": 3,
    }
    assert "induction-poles-from-rated-speed-rpm-synchronous" in codes_of(
        plate_facts(Nameplate.model_validate(asked)).speed_refusal
    )
    assert plate_facts(Nameplate.model_validate(asked | {"motor_kind": "electronic"})).speed_refusal is None


@pytest.mark.parametrize(
    ("to_ground", "asks", "doubtful"),
    [(None, "Read each pin to the bare shell first", True), ("0.1 MΩ", "A pin is grounded", True), ("OL", None, False)],
)
def test_the_terminals_of_a_sealed_machine_are_doubtful_until_they_are_read_clear(
    to_ground: str | None, asks: str | None, doubtful: bool
) -> None:
    found = identity("Terminals of a sealed machine", hermetic="yes", to_ground=to_ground)
    assert found.doubtful is doubtful  # type: ignore[attr-defined]
    assert (found.ask is None) if asks is None else found.ask.startswith(asks)  # type: ignore[attr-defined]


@pytest.mark.parametrize(
    ("ohms", "words", "doubtful"),
    [
        (("5", "5", "5"), "Three equal pairs", False),
        (("8", "4", "4"), "start and run read the same", True),
        (("0.01", "4", "4"), "a short between turns", True),
        (("OL", "8.5", "OL"), "reads open to both others", True),
        (("OL", "OL", "OL"), "A winding is open", True),
        (("9", "2", "4"), "not the sum of the other two", True),
    ],
)
def test_three_resistances_that_do_not_name_their_ends_are_doubted(
    ohms: tuple[str, str, str], words: str, doubtful: bool
) -> None:
    found = identity("Windings", **dict(zip(("first_second", "second_third", "third_first"), ohms, strict=True)))
    assert words in plain(found.answer) and found.doubtful is doubtful  # type: ignore[attr-defined]
    assert bool(found.ask) is doubtful  # type: ignore[attr-defined]
