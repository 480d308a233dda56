"""The cautions that stand before the hand: each on every kind of machine that it belongs to, and on no other.

What they say is common practice, no source (lock-out by OSHA 1910.147 and NFPA 70E from memory); that none is lost, is checked here.
"""

from __future__ import annotations

from typing import Any

import pytest

from modest_rotor.core.assessment import Assessment, Finding
from modest_rotor.core.phrase import plain
from tests.core.options.test_kinds import PUMP
from tests.jobs import KRAUSE, assessed, changed
from tests.said import codes_of, says

NOTHING = {"site": KRAUSE["site"], "machine": {"name": "only its name"}, "document": {}}
THREE_PHASE_FAN = {
    **PUMP,
    "machine": {"name": "hall fan", "type": "backward-inclined"},
    "document": {
        **PUMP["document"],
        "readings": [
            {
                "id": "s1", "tap": "one speed", "voltage": "400 V", "current": "3.1 A", "speed": "1,445 rpm", "input_power": "1,500 W",
                "airflow": "1,500 L/s", "supply_static": "250 Pa", "return_static": "-150 Pa",
            }
        ],
    },
}  # fmt: skip
ALWAYS = {"isolate_before_plate", "live_readings"}
REPLACING = {"electronic_wiring", "drive_wiring"}
JOBS: dict[str, tuple[dict[str, Any], dict[str, Any], set[str]]] = {
    "nothing but a name": (NOTHING, {}, ALWAYS),
    "capacitor fan": (KRAUSE, {}, ALWAYS | REPLACING | {"heat_after_airflow"}),
    "three-phase fan": (THREE_PHASE_FAN, {}, ALWAYS | REPLACING | {"heat_after_airflow"}),
    "three-phase pump": (PUMP, {}, ALWAYS | REPLACING),
    "fan on two speeds": (THREE_PHASE_FAN, {"nameplate__low_speed": "720 rpm"}, ALWAYS | REPLACING | {"heat_after_airflow"}),
    "dead": (KRAUSE, {"call__reason": "dead"}, {"isolate_before_plate", "dead_motor_restart", "dead_motor"} | REPLACING | {"heat_after_airflow"}),
}  # fmt: skip


def standing(assessment: Assessment) -> dict[str, Finding]:
    return {finding.rule: finding for finding in assessment.findings if finding.standing}


@pytest.mark.parametrize("name", JOBS)
def test_each_caution_stands_where_it_belongs_and_nowhere_else(name: str) -> None:
    data, changes, expected = JOBS[name]
    found = standing(assessed(data, **changes))
    two_speeds = {"two_speeds"} if changed(data, **changes)["document"].get("nameplate", {}).get("low_speed") else set()
    assert set(found) == expected | two_speeds
    severities = {rule: str(finding.severity) for rule, finding in found.items() if finding.is_open}
    assert severities == {rule: "note" if rule == "dead_motor" else "caution" for rule in found}


@pytest.mark.parametrize(
    ("data", "changes", "capacitor", "electronics"),
    [
        (KRAUSE, {}, True, False), (NOTHING, {}, True, False), (PUMP, {}, False, False), (THREE_PHASE_FAN, {}, False, False),
        (KRAUSE, {"nameplate__run_capacitance": None, "nameplate__motor_kind": "shaded-pole"}, False, False),
        (KRAUSE, {"nameplate__motor_kind": "single-phase"}, True, False),
        (KRAUSE, {"nameplate__run_capacitance": None, "nameplate__motor_kind": "electronic"}, False, True),
    ],
)  # fmt: skip
def test_a_capacitor_is_discharged_where_there_may_be_one_and_electronics_are_waited_for(
    data: dict[str, Any], changes: dict[str, Any], capacitor: bool, electronics: bool
) -> None:
    said = standing(assessed(data, **changes))["isolate_before_plate"]
    assert says("safety-isolate-before-plate-isolate-lock", said.sentence[0])  # type: ignore[union-attr]
    assert ("safety-isolate-before-plate-discharge-run" in codes_of(said.action)) is capacitor
    assert ("safety-isolate-before-plate-wait-minutes" in codes_of(said.action)) is electronics
    assert "safety-isolate-before-plate-before-reaching" in codes_of(said.action)


@pytest.mark.parametrize(
    ("data", "changes", "taps"),
    [
        (KRAUSE, {}, True), (NOTHING, {}, True), (PUMP, {}, False), (KRAUSE, {"nameplate__motor_kind": "single-phase"}, False),
        (KRAUSE, {"nameplate__run_capacitance": None, "nameplate__motor_kind": "shaded-pole"}, True),
    ],
)  # fmt: skip
def test_two_taps_are_never_energised_at_once_where_there_are_taps(
    data: dict[str, Any], changes: dict[str, Any], taps: bool
) -> None:
    said = standing(assessed(data, **changes))["live_readings"]
    assert ("safety-live-readings-change-speed" in codes_of(said.action)) is taps
    assert "safety-live-readings-prove-meter" in codes_of(
        said.action
    ) and "safety-live-readings-live-measurements" in codes_of(said.sentence)


def test_what_destroys_and_what_stays_charged_is_named() -> None:
    found = standing(assessed(KRAUSE))
    electronic, drive = (plain(found[name].sentence) for name in ("electronic_wiring", "drive_wiring"))
    for words in ("voltage selector on the wrong volts", "24 V tap", "capacitors stay charged", "windmills"):
        assert words in electronic
    for words in ("three-phase motor alone", "never a capacitor", "start switch", "1.4 times"):
        assert words in drive
    assert "safety-drive-wiring-wait-marked" in codes_of(
        found["drive_wiring"].action
    ) and "safety-electronic-wiring-secure-wheel" in codes_of(found["electronic_wiring"].action)
