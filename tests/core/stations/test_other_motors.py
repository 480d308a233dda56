"""Motors unlike the ordinary one: two speeds, both shaft ends, an outer rotor, magnets and reluctance on drives, start relays."""

from __future__ import annotations

from typing import Any

import pytest

from modest_rotor.core.assessment import Assessment
from modest_rotor.core.identify.kinds import PARTS, likely_kinds
from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.phrase import plain
from modest_rotor.core.stations.identification import Identification
from modest_rotor.core.stations.identity import Identity, identify
from modest_rotor.core.tables import read_table
from tests.core.setup.test_setup_answer import HALL
from tests.jobs import KRAUSE, assessed, changed, option
from tests.said import codes_of, says

LOW_SET = {"id": "s9", "name": "low", "tap": "low tap", "voltage": "402 V", "current": "1.1 A", "speed": "722 rpm", "input_power": "290 W"}  # fmt: skip
LOW_PLATE = {"nameplate__low_speed": "720 rpm", "nameplate__low_power": "0.3 kW", "nameplate__low_current": "1.2 A", "nameplate__speeds": "two speeds, one winding"}  # fmt: skip


def two_speeds(low_set: bool = True, **changes: Any) -> Assessment:
    data = changed(
        HALL, duty__part_flow="by a lower tap or regulator step", duty__steps__1__flow_share="45 %", **changes
    )
    if low_set:
        data["document"]["readings"].append(dict(LOW_SET))
    return assessed(data)


def questioned(said: Assessment) -> set[str]:
    return {one.rule for one in said.findings} & {"readings_do_not_fit", "machine_does_not_fit", "above_synchronous", "turns_too_slowly", "methods_disagree"}  # fmt: skip


def test_a_set_on_the_low_speed_is_no_contradiction_and_stands_for_its_step() -> None:
    """722 rpm on a plate of 1,435 is another winding, or the same one joined to twice the poles; it was read, so it counts."""
    said = two_speeds(**LOW_PLATE)
    assert not questioned(said)
    step = option(said, "A").steps[1]
    assert step.input_power is not None and step.input_power.value == pytest.approx(290)
    # Affinity: flow goes with speed on a free system, a little faster where its exponent is 1.9: 0.5^(2 ÷ 1.9) at most.
    assert step.flow is not None and step.flow.value == pytest.approx(2.1 * 722 / 1444, rel=0.04)
    assert not questioned(two_speeds())  # nor where its plate was not read


def test_a_low_speed_that_was_not_read_is_taken_from_its_plate_with_a_wide_uncertainty() -> None:
    """Affinity laws: half the speed takes an eighth at the shaft; watts by the efficiency of so small a motor, with its doubt."""
    step = option(two_speeds(low_set=False, **LOW_PLATE), "A").steps[1]
    assert step.input_power is not None and step.shaft_power is not None and step.input_power.uncertainty is not None
    assert step.shaft_power.value == pytest.approx(1330 * (720 / 1444) ** 3, rel=0.06)
    assert step.input_power.value > step.shaft_power.value and "keep-on-low-speed-read-plate" in codes_of(step.note)
    assert step.input_power.uncertainty > 0.1 * step.input_power.value
    bare = option(two_speeds(low_set=False), "A").steps[1]
    assert bare.input_power is None and "keep-on-tap-waits-set" in codes_of(bare.note)


def test_the_low_set_teaches_nothing_of_the_high_winding() -> None:
    alone, both = two_speeds(low_set=False, **LOW_PLATE), two_speeds(**LOW_PLATE)
    assert alone.sets[0].shaft_power.figure == both.sets[0].shaft_power.figure


def test_two_speeds_are_cautioned_and_only_they() -> None:
    assert any(one.rule == "two_speeds" for one in two_speeds(**LOW_PLATE).findings)
    assert not any(one.rule == "two_speeds" for one in assessed(HALL).findings)
    single = changed(KRAUSE, nameplate__speeds="two speeds, one winding")
    assert not any(one.rule == "two_speeds" for one in assessed(single).findings)


@pytest.mark.parametrize(
    ("build", "fits", "words"),
    [("outer rotor, wheel on it", "cannot", "whole fan"), ("shaft at both ends", "work", "both ends"), ("shaft at one end", None, "")],
)  # fmt: skip
def test_a_motor_goes_only_where_its_shaft_or_rotor_does(build: str, fits: str | None, words: str) -> None:
    said = assessed(changed(KRAUSE, nameplate__build=build))
    for kind in ("same", "electronic"):
        one = next((one for one in said.options.options if one.id == kind), None)
        if one is None:
            continue
        check = next((check for check in one.checks if check.check == "built"), None)
        assert (check.fits if check else None) == fits
        assert check is None or words in plain(check.sentence)
        assert (one.stop is not None) is (fits == "cannot")


def seen(**parts: str) -> list[Identity]:
    return list(identify(Identification.model_validate(parts), ()))


def kind(**parts: str) -> Identity:
    return next(one for one in seen(**parts) if one.question.startswith("Kind"))


@pytest.mark.parametrize(
    ("parts", "answer", "motor_kind"),
    [
        ({"equal_leads": "yes", "drive_fed": "yes", "cogs": "yes", "run_capacitor": "no", "module": "no"}, "Magnet motor on a drive", MotorKind.ELECTRONIC),
        ({"equal_leads": "yes", "drive_fed": "yes", "cogs": "no", "run_capacitor": "no", "two_sets": "no", "module": "no"}, "Reluctance motor on a drive", MotorKind.ELECTRONIC),
        ({"equal_leads": "yes", "two_sets": "yes", "run_capacitor": "no", "module": "no"}, "Three-phase, two speeds", MotorKind.THREE_PHASE),
        ({"run_capacitor": "yes", "outer_rotor": "yes", "module": "no"}, "Outer rotor fan with a run capacitor", MotorKind.SPLIT_CAPACITOR),
        ({"module": "yes", "outer_rotor": "yes", "analogue": "yes"}, "Outer rotor fan, electronic", MotorKind.ELECTRONIC),
        ({"run_capacitor": "yes", "switch": "no", "relay": "no", "equal_leads": "no"}, "Permanent split capacitor", MotorKind.SPLIT_CAPACITOR),
    ],
)  # fmt: skip
def test_a_motor_is_told_by_its_parts(parts: dict[str, str], answer: str, motor_kind: MotorKind) -> None:
    """Common practice, no source."""
    found = kind(**parts)
    assert plain(found.answer) == f"{answer}." and found.motor_kind is motor_kind


def test_every_part_is_asked_and_every_kind_says_something_of_it() -> None:
    for row in read_table("motor_kinds"):
        assert {row[part] for part in PARTS} <= {"yes", "no", "either"}
    for part in PARTS:
        assert part in Identification.model_fields
        shares = {one.kind: one.share for one in likely_kinds({part: True})}
        assert shares != {one.kind: one.share for one in likely_kinds({part: False})}, part


@pytest.mark.parametrize(
    ("relay", "words"), [("current", "run winding’s amps"), ("potential", "across the start winding"), ("solid-state", "three to five minutes")]
)  # fmt: skip
def test_each_start_relay_is_told_and_what_is_minded(relay: str, words: str) -> None:
    found = next(one for one in seen(relay="yes", relay_kind=relay) if one.question == "Start relay")
    assert any(words in line for line in found.details) and not found.doubtful
    assert next(one for one in seen(relay="no", relay_kind=relay) if one.question == "Start relay").doubtful


def test_both_ends_and_an_outer_rotor_say_what_takes_their_place() -> None:
    answers = {one.question: plain(one.answer) for one in seen(both_ends="yes", outer_rotor="yes")}
    assert says("identity-built-turns-wheel", answers["Shaft at both ends"]) and says(
        "identity-built-motor-wheel", answers["Outer rotor"]
    )


def test_a_magnet_motor_whose_plate_speed_is_synchronous_is_refused_nothing() -> None:
    """1,800 rpm at 60 Hz, four poles: it does not slip."""
    data = changed(HALL, nameplate__motor_kind="electronic", nameplate__rated_speed="1,800 rpm", nameplate__frequency="60 Hz", nameplate__holds="speed", readings__0__speed="1,750 rpm")  # fmt: skip
    said = assessed(data)
    assert not questioned(said) and said.sets[0].shaft_power.figure is not None


def test_an_unreadable_capacitor_is_offered_roughly_by_the_fitted_motor() -> None:
    """The textbook machine's own capacitor is 15.4 µF (Krause, Analysis of Electric Machinery): inside the uncertainty, and told as rough."""
    bare = assessed(changed(KRAUSE, nameplate__run_capacitance=None, nameplate__motor_kind="split-capacitor"))
    rough = next(one for one in bare.plate.expected if one.label == "Run capacitor, roughly")
    assert rough.figure is not None and rough.figure.uncertainty is not None
    assert (
        abs(rough.figure.value - 15.4e-6) < rough.figure.uncertainty
        and rough.figure.uncertainty > 0.2 * rough.figure.value
    )
    assert rough.working is not None and "plate-expected-rough-capacitor-rough-nothing" in codes_of(
        rough.working.remarks[0]
    )
    assert not any(one.label == "Run capacitor, roughly" for one in assessed(KRAUSE).plate.expected)


def test_what_a_fitted_motor_is_expected_to_show_stands_in_its_order() -> None:
    """Unloaded it draws less than on its plate and held by its rotor several times that; a start switch is closed then, and waits."""
    told = {one.label: one for one in assessed(KRAUSE).plate.expected}
    bare, held = (told[f"Amps with {what}"].figure for what in ("a bare shaft", "the rotor held"))
    efficiency, factor = (told[f"{what} at full load"].figure for what in ("Efficiency", "Power factor"))
    assert bare and held and efficiency and factor
    assert 0.3 * 2.9 < bare.value < 1.3 * 2.9 < 2 * 2.9 < held.value < 9 * 2.9
    assert 0.3 < efficiency.value < 0.8 and 0.5 < factor.value < 1
    assert held.value > 2 * bare.value
