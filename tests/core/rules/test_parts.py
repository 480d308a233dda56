"""No rule, cause or procedure speaks of a part that the kind of motor does not have; and findings that used to mislead."""

from __future__ import annotations

import re
from typing import Any

import pytest

from modest_rotor.core.assess import assess, causes, fit_job
from modest_rotor.core.job import Job
from modest_rotor.core.phrase import plain
from tests.jobs import changed
from tests.said import codes_of

PLATES: dict[str, dict[str, Any]] = {
    "split-capacitor": {"rated_power": "1/2 hp", "rated_voltage": "115 V", "rated_current": "7.4 A", "rated_speed": "1075 rpm", "frequency": "60 Hz", "phases": 1, "run_capacitance": "10 µF"},
    "single-phase": {"rated_power": "1/2 hp", "rated_voltage": "115 V", "rated_current": "7.8 A", "rated_speed": "1725 rpm", "frequency": "60 Hz", "phases": 1, "motor_kind": "single-phase"},
    "shaded-pole": {"rated_power": "1/15 hp", "rated_voltage": "115 V", "rated_current": "2.4 A", "rated_speed": "1550 rpm", "frequency": "60 Hz", "phases": 1, "motor_kind": "shaded-pole"},
    "three-phase": {"rated_power": "1.5 kW", "rated_voltage": "400 V", "rated_current": "3.4 A", "rated_speed": "1430 rpm", "frequency": "50 Hz", "phases": 3},
    "electronic": {"rated_power": "1/2 hp", "rated_voltage": "115 V", "rated_current": "7.0 A", "rated_speed": "1200 rpm", "frequency": "60 Hz", "phases": 1, "motor_kind": "electronic", "holds": "torque"},
}  # fmt: skip
SOUND: dict[str, dict[str, str]] = {
    "split-capacitor": {"voltage": "117 V", "current": "6.2 A", "speed": "1085 rpm", "input_power": "560 W"},
    "single-phase": {"voltage": "117 V", "current": "7.0 A", "speed": "1735 rpm", "input_power": "520 W"},
    "shaded-pole": {"voltage": "116 V", "current": "2.2 A", "speed": "1570 rpm", "input_power": "170 W"},
    "three-phase": {"voltage": "402 V", "current": "3.1 A", "speed": "1440 rpm", "input_power": "1600 W"},
    "electronic": {"voltage": "117 V", "current": "5.0 A", "speed": "1150 rpm", "input_power": "400 W"},
}
ODD: tuple[dict[str, Any], ...] = (
    {}, {"input_power": "30 W"}, {"input_power": "2000 W"}, {"current": "1.2 A"}, {"current": "25 A"}, {"speed": "700 rpm"},
    {"speed": "3700 rpm"}, {"speed": "0 rpm"}, {"speed": None}, {"voltage": "90 V"}, {"voltage": "480 V"}, {"airflow": "150 cfm"},
    {"airflow": "6000 cfm"}, {"total_static": "3 in. w.g."}, {"capacitance": "4 µF"}, {"run_capacitor_volts": "40 V"},
)  # fmt: skip
HAS_CAPACITOR, HAS_TAPS = {"split-capacitor", "single-phase"}, {"split-capacitor", "shaded-pole", "electronic"}
LEGITIMATE = {"electronic_wiring", "drive_wiring", "reading_withheld"}
"""Cautions on what would be fitted, and a note that names the very reading of a part that is not there."""


def job(kind: str, machine_type: str = "forward-curved", **reading: Any) -> Job:
    flow = {"water_flow": "5 m³/h", "pump_differential": "60 kPa"} if machine_type == "pump" else {"airflow": "1200 cfm", "total_static": "0.5 in. w.g."}  # fmt: skip
    read = {key: value for key, value in {**SOUND[kind], **flow, **reading}.items() if value is not None}
    if machine_type == "pump":
        read = {key: value for key, value in read.items() if key not in ("airflow", "total_static")}
    document = {
        "nameplate": PLATES[kind],
        "readings": [{"id": "s1", **read}],
        "target": {"airflow": "1400 cfm", "rated_static": "0.5 in. w.g."},  # left behind on a pump: of no air either
    }
    return Job.model_validate(
        {"site": {"name": "x", "units": "ip"}, "machine": {"name": "m", "type": machine_type}, "document": document}
    )


def everything_said(one: Job) -> list[tuple[str, str]]:
    """Every sentence of findings, their proofs, procedures and causes, with whose it is."""
    fit = fit_job(one)
    answer, ranked = assess(one, fit, workings=False), causes(one, fit)
    said = []
    for finding in answer.findings:
        test = finding.test
        proof = (test.caution, test.how, test.proves, test.clears) if test else ()
        said.append((finding.rule, " ".join((plain(finding.sentence), finding.action, *proof))))
    for procedure in answer.procedures:
        said.append(
            ("a procedure", " ".join(f"{step.question} {step.caution} {step.if_not or ''}" for step in procedure.steps))
        )
    said += [(weighed.cause, f"{weighed.cause} {weighed.words}") for weighed in ranked.ranked]
    if ranked.test:
        said.append(("a test", f"{ranked.test.test} {ranked.test.how} {ranked.test.if_first} {ranked.test.if_second}"))
    return said


@pytest.mark.slow
@pytest.mark.parametrize("machine_type", ["forward-curved", "pump"])
@pytest.mark.parametrize("kind", PLATES)
def test_nothing_speaks_of_a_part_that_the_kind_does_not_have(kind: str, machine_type: str) -> None:
    """Sound and odd sets on each kind: at least half a dozen rules speak, none of a part that is not there."""
    rules = set()
    pump = machine_type == "pump"
    # A pump has no air to be odd, and reads of its motor's parts what a fan's does: half of the sets say something new of it.
    odd_ones = [odd for odd in ODD if not {"airflow", "total_static"} & set(odd)][::2] if pump else ODD
    for odd in odd_ones:
        if kind == "split-capacitor" and odd.get("speed") == "3700 rpm" and pump:
            continue
        for whose, words in everything_said(job(kind, machine_type, **odd)):
            rules.add(whose)
            if whose in LEGITIMATE:
                continue
            text = words.lower()
            if kind not in HAS_CAPACITOR:
                assert "capacitor" not in text, (kind, whose, words)
            if kind not in HAS_TAPS:
                bare = re.sub(r"static tap\w*|tap in swirl|between the taps|taps elsewhere|lies between", "", text)
                assert not re.search(r"\btaps?\b", bare), (kind, whose, words)
            if kind != "single-phase":
                assert "start switch" not in text and "switch is welded" not in text, (kind, whose, words)
            if pump:
                assert not re.search(r"\bduct\b|register|filter", text), (kind, whose, words)
    assert len(rules) >= 6, rules


def test_a_three_phase_motor_is_not_told_to_read_a_capacitor_or_a_tap() -> None:
    found = [
        words
        for whose, words in everything_said(job("three-phase", input_power="300 W"))
        if whose == "readings_do_not_fit"
    ]
    assert all("capacitor" not in words and "full tap" not in words for words in found)


def dual(volts: str, **plate: Any) -> set[str]:
    data = job("three-phase", voltage=volts, current="3.1 A").model_dump(mode="json")
    plate = {
        "rated_voltage": "230 V",
        "second_voltage": "460 V",
        "rated_current": "6.2 A",
        "second_current": "3.1 A",
        **plate,
    }
    for name, value in plate.items():
        data["document"]["nameplate"][name] = value
    return {one.rule for one in assess(Job.model_validate(data)).findings}


def test_volts_of_the_other_connection_stop_nothing_while_nobody_said_how_it_is_wired() -> None:
    """460 V read on a plate of 230/460 V: asked how it is wired, and taken as wired for what was read."""
    unsaid = dual("458 V")
    assert (
        "connection_unsaid" in unsaid
        and not {"connection_does_not_match", "volts_off_plate", "amps_over_plate"} & unsaid
    )
    assert "connection_does_not_match" in dual("458 V", wired_for="first volts")
    assert not {"connection_does_not_match", "connection_unsaid"} & dual("458 V", wired_for="other volts")


def test_a_bare_shaft_is_no_machine_far_under_load_and_no_wheel_off_its_shaft() -> None:
    bare = {"current": "2.1 A", "speed": "1494 rpm", "input_power": "180 W", "duct": "bare shaft, wheel or belt off", "airflow": None, "total_static": None}  # fmt: skip
    alone = assess(job("three-phase", **bare))
    assert "far_under_load" not in {one.rule for one in alone.findings}
    assert alone.options.waits and alone.sets[0].flow_by_power.figure is None
    both = job("three-phase").model_dump(mode="json")
    both["document"]["readings"] = [{"id": "s0", **{name: value for name, value in {**SOUND["three-phase"], **bare}.items() if value}}, *both["document"]["readings"]]  # fmt: skip
    both["document"]["duty"] = {"steps": [{"id": "a", "hours": "2000 h", "flow_share": "100 %"}]}
    told = Job.model_validate(both)
    assert "wheel off its shaft" not in [weighed.cause for weighed in causes(told).ranked[:1]]
    moved = assess(told).options.options[0].steps[0].flow
    assert moved and moved.value == pytest.approx(1200 * 0.0004719474432, rel=1e-6)


def test_the_first_set_of_a_test_never_stands_for_the_machine_while_another_is_there() -> None:
    """Duct off first, then as found: the machine as found is the second."""
    data = job("three-phase").model_dump(mode="json")
    found = data["document"]["readings"][0]
    data["document"]["readings"] = [found | {"id": "s0", "duct": "duct off at the unit", "airflow": "1500 cfm", "total_static": "0.1 in. w.g."}, found]  # fmt: skip
    data["document"]["duty"] = {"steps": [{"id": "a", "hours": "2000 h", "flow_share": "100 %"}]}
    moved = assess(Job.model_validate(data)).options.options[0].steps[0].flow
    assert moved and moved.value == pytest.approx(1200 * 0.0004719474432, rel=1e-6)


def test_capacitor_volts_that_rise_as_air_is_blocked_are_a_change_that_is_shown() -> None:
    """225 to 245 V across the capacitor while amps fall: the signature of a motor that runs lighter. Common practice."""
    data = job("split-capacitor", run_capacitor_volts="225 V").model_dump(mode="json")
    first = data["document"]["readings"][0]
    data["document"]["readings"].append(first | {"id": "s2", "duct": "blocked", "run_capacitor_volts": "245 V", "current": "5.1 A", "speed": "1140 rpm", "input_power": "380 W", "airflow": None})  # fmt: skip
    change = {one.field: one for one in assess(Job.model_validate(data)).sets[1].changes}["run_capacitor_volts"]
    assert change.figure.value == pytest.approx(20.0) and change.beyond


def test_an_empty_set_is_not_nothing_found() -> None:
    data = changed(job("three-phase").model_dump(mode="json"), readings=[{"id": "s1"}])
    rail = {str(entry.station): entry.phrase for entry in assess(Job.model_validate(data)).rail}
    assert "rail-findings-nothing-found" not in codes_of(rail["findings"])


@pytest.mark.parametrize(
    ("amps", "factor", "sfa", "words"),
    [
        ("18.5 A", "1.15", None, "below the service factor"),
        ("20 A", "1.15", None, "above the service factor"),
        ("24 A", "1.15", None, "above the service factor"),
        ("18.5 A", None, None, "no service factor"),
        ("18.5 A", "1.15", "18 A", "above the service factor"),
    ],
)
def test_amps_over_full_load_are_told_by_the_service_factor(
    amps: str, factor: str | None, sfa: str | None, words: str
) -> None:
    """17 A and a factor of 1.15 allow 19.55 A: 20 A is above both. NEMA MG 1, 12.51 (from memory)."""
    data = job("three-phase", current=amps, voltage="230 V", input_power="5900 W", speed="1730 rpm").model_dump(
        mode="json"
    )
    data["document"]["nameplate"] |= {"rated_power": "5.5 hp", "rated_voltage": "230 V", "rated_current": "17 A", "frequency": "60 Hz", "rated_speed": "1740 rpm", "service_factor": factor, "service_factor_current": sfa}  # fmt: skip
    found = [one for one in assess(Job.model_validate(data)).findings if one.rule == "amps_over_plate"]
    assert len(found) == 1 and words in plain(found[0].sentence)
