"""May it be fitted? Every check on both sides of its line, the stops, and who may answer for them."""

from __future__ import annotations

from importlib.resources import files
from typing import Any

import pytest

from modest_rotor.core.assess import assess
from modest_rotor.core.job import Job
from modest_rotor.core.options.contract import OptionKind
from modest_rotor.core.options.registry import traits_of
from modest_rotor.core.stations.product import Product
from modest_rotor.core.tables import read_table
from modest_rotor.formats.catalogue_files import read_catalogue
from modest_rotor.store.solving import NewestKept, fit_of
from tests.jobs import KRAUSE, as_loaded, assessed, changed, option
from tests.said import codes_of

pytestmark = pytest.mark.slow

MOTOR: dict[str, Any] = {
    "code": "new", "type": "motor", "name": "New motor", "motor_kind": "electronic", "rated_power": "1/2 hp",
    "rated_voltage": "115 V", "phases": 1, "rated_speed": "1,725 rpm", "rated_current": "5 A", "command": "0-10 V",
    "frame": "48Y", "shaft_diameter": "0.5 in.", "shaft_length": "4 in.", "keyway": "no", "mounting": "belly band",
    "rotation": "clockwise", "enclosure": "OPEN", "air_over": "yes", "shaft_up": "no",
}  # fmt: skip


def looked(
    check: str, fitting: dict[str, Any] | None = None, kind: str = "electronic", own: Any = None, **changes: Any
) -> Any:
    """One check of one option; nothing where it says nothing."""
    product = {**MOTOR, **(own or {})}
    candidates = [
        {"id": "one", "kind": kind, "product": {name: value for name, value in product.items() if value is not None}}
    ]
    asked = {"candidates": candidates, "fitting": fitting or {}}
    one = option(assessed(KRAUSE, options=asked, **changes), "B")
    return next((found for found in one.checks if found.check == check), None)


@pytest.mark.parametrize(
    ("check", "fitting", "changes", "fits"),
    [
        ("volts", {}, {}, "fits"),
        ("volts", {}, {"own": {"rated_voltage": "230 V"}}, "cannot"),
        ("volts", {}, {"own": {"rated_voltage": "230 V", "other_voltage": "115 V"}}, "work"),
        ("phases", {"phases": 3}, {}, "cannot"),
        ("phases", {"phases": 1}, {}, "fits"),
        ("permanent_supply", {}, {}, "unknown"),
        ("permanent_supply", {"permanent_supply": "no"}, {}, "work"),
        ("command", {"command": "0-10 V"}, {}, "fits"),
        ("command", {"command": "24 V calls"}, {}, "work"),
        ("rotation", {}, {"nameplate__rotation": "clockwise", "nameplate__rotation_seen_from": "shaft end"}, "fits"),
        ("rotation", {}, {"nameplate__rotation": "clockwise", "nameplate__rotation_seen_from": "lead end"}, "cannot"),
        ("rotation", {}, {"nameplate__rotation": "clockwise"}, "unknown"),
        ("frame", {}, {"nameplate__frame": "48 Y"}, "fits"),
        ("frame", {}, {"nameplate__frame": "56H"}, "work"),
        ("shaft", {"bore": "12.7 mm"}, {}, "fits"),
        ("shaft", {"bore": "5/8 in."}, {}, "work"),
        ("shaft", {"bore": "3/8 in."}, {}, "cannot"),
        ("shaft_length", {"shaft_needed": "3 in."}, {}, "fits"),
        ("shaft_length", {"shaft_needed": "5 in."}, {}, "cannot"),
        ("keyway", {"keyway": "yes"}, {}, "work"),
        ("mounting", {"mounting": "belly band"}, {}, "fits"),
        ("mounting", {"mounting": "foot"}, {}, "work"),
        ("attitude", {"attitude": "shaft up"}, {}, "cannot"),
        ("attitude", {"attitude": "shaft down"}, {}, "fits"),
        ("weather", {"outdoors": "yes"}, {}, "cannot"),
        ("weather", {"outdoors": "yes"}, {"own": {"enclosure": "IP55"}}, "work"),
        ("air_over", {"in_air": "no"}, {}, "cannot"),
        ("air_over", {"in_air": "yes"}, {}, "fits"),
        ("load", {}, {}, "fits"),
        ("load", {}, {"own": {"rated_power": "1/5 hp"}}, "cannot"),
        ("load", {}, {"own": {"rated_power": "200 W", "service_factor": "1.25"}}, "work"),
        ("altitude", {"altitude": "8,000 ft"}, {"own": {"rated_power": "235 W"}}, "cannot"),
        ("altitude", {"altitude": "8,000 ft"}, {}, "fits"),
        ("top_speed", {"highest_speed": "1,600 rpm"}, {}, "cannot"),
        ("least_speed", {}, {"own": {"least_speed": "60 %"}}, "work"),
        ("listing", {"listing_allows": "no"}, {}, "cannot"),
        ("listing", {"listing_allows": "yes"}, {}, "fits"),
        ("earth_leakage", {"earth_leakage": "AC"}, {}, "work"),
        ("earth_leakage", {"earth_leakage": "A"}, {}, "fits"),
        ("protection", {}, {}, "work"),
        ("capacitor", {}, {}, "work"),
        ("harmonics", {"several": "yes"}, {}, "work"),
        ("code_letter", {"code_letter": "G"}, {"own": {"code_letter": "J"}}, "work"),
        ("code_letter", {"code_letter": "K"}, {"own": {"code_letter": "J"}}, "fits"),
        ("blower_constants", {}, {"kind": "airflow"}, "unknown"),
        ("blower_constants", {}, {"kind": "airflow", "own": {"blower_constants": "no"}}, "cannot"),
        ("both_makers", {"motor_maker_agrees": "yes"}, {"kind": "capacitor motor on a controller"}, "cannot"),
        (
            "both_makers", {"motor_maker_agrees": "yes", "drive_maker_agrees": "yes"},
            {"kind": "capacitor motor on a controller"}, "fits",
        ),
        ("start_switch", {"start_switch": "yes"}, {"kind": "voltage regulator"}, "cannot"),
        ("start_switch", {"start_switch": "no"}, {"kind": "voltage regulator"}, "fits"),
        ("cable", {"lead_length": "40 m"}, {"kind": "drive"}, "work"),
        ("cable", {"lead_length": "6 m"}, {"kind": "drive"}, "fits"),
        ("several_motors", {"several": "yes"}, {"kind": "drive"}, "work"),
        ("drive_insulation", {}, {"kind": "drive"}, "work"),
        ("hertz", {}, {"kind": "same kind", "own": {"motor_kind": "split-capacitor", "frequency": "50 Hz"}}, "cannot"),
        ("machine", {}, {"kind": "impeller trimmed"}, "cannot"),
        ("line_on_tap", {"command": "switched line"}, {"kind": "torque", "own": {"command": "24 V calls"}}, "cannot"),
        (
            "line_on_tap", {"command": "switched line", "permanent_supply": "yes"},
            {"kind": "torque", "own": {"command": "24 V calls"}}, "work",
        ),
    ],
)  # fmt: skip
def test_a_check_on_both_sides_of_its_line(
    check: str, fitting: dict[str, Any], changes: dict[str, Any], fits: str
) -> None:
    found = looked(check, fitting, **changes)
    assert found is not None and found.fits == fits, found
    assert found.question and found.source and found.sentence


def test_some_stops_nobody_can_answer_for_and_the_table_says_so() -> None:
    """A start switch on a drive, line volts on a low-voltage tap, a voltage link that does not match; and what is for another
    machine altogether, for another rotor, or a product of another kind."""
    nobody = {row["check"] for row in read_table("fit_checks") if row["waived"] == "nobody"}
    assert nobody == {"volts", "line_on_tap", "start_switch", "machine", "built", "product"}


def test_a_stop_withholds_every_number_until_somebody_answers_for_it() -> None:
    candidates = [{"id": "one", "kind": "electronic", "product": MOTOR, "price": "300"}]
    stopped = {"candidates": candidates, "fitting": {"listing_allows": "no"}}
    one = option(assessed(KRAUSE, options=stopped), "B")
    assert one.fits == "cannot" and one.stop.code == "table-fit-checks-question-listing"
    assert all(step.flow is None and step.input_power is None for step in one.steps)
    assert one.energy.figure is None and one.saved_money.figure is None
    assert "one" not in as_loaded(KRAUSE, options=stopped)
    waiver = {
        "id": "w1",
        "option": "one",
        "check": "listing",
        "who": "Site engineer",
        "reason": "not a listed appliance",
    }
    waived = option(assessed(KRAUSE, options={**stopped, "waivers": [waiver]}), "B")
    assert waived.stop is None and waived.energy.figure
    assert any("Site engineer answers for it" in words for words in waived.limits)


@pytest.mark.parametrize("missing", ["who", "reason"])
def test_a_waiver_without_name_or_reason_waives_nothing(missing: str) -> None:
    waiver = {"id": "w1", "option": "one", "check": "listing", "who": "Site engineer", "reason": "asked", missing: ""}
    asked = {
        "candidates": [{"id": "one", "kind": "electronic"}],
        "fitting": {"listing_allows": "no"},
        "waivers": [waiver],
    }
    assert option(assessed(KRAUSE, options=asked), "B").stop


def test_a_waiver_for_what_nobody_may_waive_waives_nothing() -> None:
    wrong = {**MOTOR, "rated_voltage": "230 V"}
    waiver = {"id": "w1", "option": "one", "check": "volts", "who": "Anybody", "reason": "it will do"}
    asked = {"candidates": [{"id": "one", "kind": "electronic", "product": wrong}], "waivers": [waiver]}
    one = option(assessed(KRAUSE, options=asked), "B")
    assert one.stop and one.energy.figure is None


def test_what_is_kept_of_one_job_is_never_told_of_another() -> None:
    """One memory for jobs with stops, other steps, other repairs: each answer is the one that it has without a memory."""
    kept = NewestKept(1000)
    stopped = {"candidates": [{"id": "one", "kind": "electronic"}], "fitting": {"listing_allows": "no"}}
    one_step = [{"id": "s1", "name": "one", "hours": "1,000 h", "flow_share": "100 %"}]
    jobs = (
        {"options": stopped}, {"options": stopped, "duty__steps": one_step}, {}, {"duty__steps": one_step},
        {"options": {"repairs": ["filter"], "filter_excess": "80 Pa"}}, {"options": {"repairs": ["filter"], "filter_excess": "40 Pa"}},
        {"duty__part_flow": "it runs full all the same"}, {"duty__static_pressure_set_point": "100 Pa"}, {"options": {"resistance_factor": "200 %"}},
    )  # fmt: skip
    for changes in (*jobs, *reversed(jobs)):
        job = Job.model_validate(changed(KRAUSE, **changes))
        fit = fit_of(job)
        assert assess(job, fit, kept).model_dump_json() == assess(job, fit).model_dump_json()


def test_a_protected_duty_is_kept_by_kinds_that_can_and_stops_those_that_cannot() -> None:
    """No flow below the documented least; where none is recorded, none below as found. Nobody can waive that."""
    kinds = ["electronic", "torque", "voltage regulator", "another tap"]
    asked = {
        "candidates": [{"id": f"k{n}", "kind": kind} for n, kind in enumerate(kinds)],
        "fitting": {"start_switch": "no"},
    }
    answer = assessed(
        KRAUSE, options=asked, call__protected="grease or kitchen extract", call__minimum_airflow="450 L/s",
        duty__part_flow="it runs full all the same",
    )  # fmt: skip
    for one in answer.options.options:
        for step in one.steps:
            if step.flow is not None:
                assert step.flow.value + (step.flow.uncertainty or 0.0) >= 0.450
    electronic = option(answer, "B")
    assert electronic.steps[1].flow.value == pytest.approx(0.450)
    assert "options-electronic-held" in codes_of(electronic.steps[1].note)


def test_without_a_product_the_rating_of_the_plate_is_judged_softly() -> None:
    """A typical motor of the plate's rating that is too small is work, a next size up; a named product is a stop."""
    asked = {"candidates": [{"id": "one", "kind": "electronic"}]}
    one = option(assessed(KRAUSE, options=asked), "B")
    load = next(check for check in one.checks if check.check == "load")
    assert load.fits == "work" and one.stop is None


STAND_FOR = {
    "psc-": {"same-kind"},
    "etq-": {"torque"},
    "eaf-": {"airflow"},
    "esg-": {"electronic", "slowed"},
    "edl-": {"electronic", "slowed"},
    "e1s-": {"electronic", "slowed", "one-speed"},
    "ind-": {"same-kind", "drive"},
    "drv-": {"drive", "capacitor-drive", "reluctance"},
    "reg-": {"regulator"},
    "ecf-": {"ec-fan"},
    "wrc-": {"circulator-speed", "circulator-constant", "circulator-proportional"},
}
"""What each family of the shipped catalogue can stand for, by the beginning of its codes. Common practice, no source."""


def test_a_product_stands_for_its_own_kinds_alone() -> None:
    shipped = read_catalogue(files("modest_rotor.demo").joinpath("catalogue.csv").read_text(encoding="utf-8")).products
    assert {product.code[:4] for product in shipped} == STAND_FOR.keys()
    for product in shipped:
        assert {kind.value for kind in OptionKind if traits_of(kind).suits(product)} == STAND_FOR[product.code[:4]], (
            product.code
        )


def test_what_an_entry_does_not_say_is_no_reason_against_it() -> None:
    bare = Product.model_validate({"code": "bare", "type": "motor", "name": "bare"})
    assert (
        traits_of(OptionKind.TORQUE).suits(bare)
        and traits_of(OptionKind.ONE_SPEED).suits(bare)
        and traits_of(OptionKind.SAME_KIND).suits(bare)
    )
    assert not traits_of(OptionKind.DRIVE).suits(bare) and not traits_of(OptionKind.EC_FAN).suits(bare)


def test_a_pump_is_no_electronic_motor_whoever_says_so() -> None:
    """In a file as well: nothing is worked out with it, and nobody can answer for it."""
    pump = {"code": "wrc", "type": "pump", "name": "A circulator", "rated_power": "65 W"}
    waiver = {"id": "w1", "option": "one", "check": "product", "who": "Anybody", "reason": "it will do"}
    asked = {"candidates": [{"id": "one", "kind": "electronic", "product": pump}], "waivers": [waiver]}
    one = option(assessed(KRAUSE, options=asked), "B")
    assert one.stop.code == "table-fit-checks-question-product" and one.energy.figure is None
