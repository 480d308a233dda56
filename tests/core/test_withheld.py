"""What nothing can be worked out with is left out and named; and a machine that stood is no running machine."""

from __future__ import annotations

import pytest

import modest_rotor.core.assess as door
from modest_rotor.core.assess import assess
from modest_rotor.core.assessment import Assessment
from modest_rotor.core.changes import read_for, with_change
from modest_rotor.core.errors import ChangeRefused, OutsideValidity
from modest_rotor.core.job import Job
from modest_rotor.core.stations.trust import Standing, standing_of
from modest_rotor.core.withheld import quantities_of, without
from modest_rotor.store import signed
from tests.jobs import KRAUSE
from tests.said import codes_of

SPEED = "readings/s1/speed"


def edited(job: Job, **typed: str) -> Job:
    for path, text in typed.items():
        place = path.replace("__", "/")
        job = with_change(job, place, read_for(job, place, text, "si"))
    return job


@pytest.fixture
def krause() -> Job:
    return Job.model_validate(KRAUSE)


def failing_where(monkeypatch: pytest.MonkeyPatch, *paths: str, error: Exception | None = None) -> None:
    """Let the core stumble while something stands at all of some places."""
    sound = door._assess

    def stumbles(job: Job, *rest: object) -> Assessment:
        if {path for path, _ in quantities_of(job)} >= set(paths):
            raise error or ZeroDivisionError("division by zero")
        return sound(job, *rest)

    monkeypatch.setattr(door, "_assess", stumbles)


def test_a_fault_of_ours_takes_one_value_along_and_not_the_job(krause: Job, monkeypatch: pytest.MonkeyPatch) -> None:
    failing_where(monkeypatch, SPEED)
    told: list[Exception] = []
    found = assess(krause, on_fault=told.append)
    assert [one.path for one in found.left_out] == [SPEED]
    assert found.left_out[0].fault and "set 1" in found.left_out[0].label and found.left_out[0].typed
    assert "withheld-of-fault" in codes_of(found.left_out[0].sentence) and "withheld-sentence" in codes_of(
        found.left_out[0].sentence
    )
    assert len(told) == 1 and isinstance(told[0], ZeroDivisionError)
    assert found.model_copy(update={"left_out": ()}) == assess(without(krause, (SPEED,)))


def test_a_refusal_that_leaves_the_core_is_told_in_its_own_words(krause: Job, monkeypatch: pytest.MonkeyPatch) -> None:
    failing_where(monkeypatch, "nameplate/rated_power", error=OutsideValidity("No motor is so small."))
    (left,) = assess(krause).left_out
    assert left.path == "nameplate/rated_power" and not left.fault and "No motor is so small." in left.sentence


def test_of_two_values_that_only_fail_together_one_is_left_out(krause: Job, monkeypatch: pytest.MonkeyPatch) -> None:
    pair = (SPEED, "nameplate/rated_speed")
    failing_where(monkeypatch, *pair)
    assert [one.path for one in assess(krause).left_out] in ([pair[0]], [pair[1]])
    assert [one.path for one in assess(krause, newest=pair[0]).left_out] == [pair[0]]  # the newest is suspected first


def test_where_nothing_helps_the_job_is_still_shown(krause: Job, monkeypatch: pytest.MonkeyPatch) -> None:
    sound = door._assess

    def stumbles(job: Job, *rest: object) -> Assessment:
        if job.document != type(job.document)():
            raise RecursionError
        return sound(job, *rest)

    monkeypatch.setattr(door, "_assess", stumbles)
    (left,) = assess(krause).left_out
    assert left.path == "" and left.label == "Everything that was typed"


@pytest.mark.parametrize(
    ("typed", "state"),
    [
        ({"speed": "0 rpm"}, Standing.STALLED),  # amps are read in the set: a seized motor
        ({"speed": "0 rpm", "current": "0 A", "input_power": "0 W"}, Standing.OFF),
        ({"speed": "0.02 rpm"}, Standing.STALLED),
        ({"current": "0 A", "input_power": "0 W"}, Standing.WINDMILLING),  # it turns and takes nothing
        ({"input_power": "0 W"}, None),  # a wattmeter whose clamp is off: the rest stands
        ({}, None),
    ],
)
def test_a_zero_means_what_it_means(krause: Job, typed: dict[str, str], state: Standing | None) -> None:
    # Common practice, no source: stalled, off, windmilling.
    job = edited(krause, **{f"readings__s1__{name}": text for name, text in typed.items()})
    assert standing_of(job.document.readings[0]) is state
    found = assess(job)
    assert not found.left_out
    rules = {one.rule for one in found.findings}
    assert ("machine_stalled" in rules) == (state is Standing.STALLED)
    assert ("machine_stood" in rules) == (state in (Standing.OFF, Standing.WINDMILLING))
    (answer,) = found.sets
    assert (answer.shaft_power.figure is None) == (state is not None)


def test_a_stalled_motor_is_a_stop_that_says_to_switch_it_off(krause: Job) -> None:
    found = next(
        one for one in assess(edited(krause, readings__s1__speed="0 rpm")).findings if one.rule == "machine_stalled"
    )
    assert found.severity == "stop" and "air-what-to-do-switch-off" in codes_of(found.action) and found.test is not None


def test_no_watts_beside_current_are_kept_and_not_worked_with(krause: Job) -> None:
    found = assess(edited(krause, readings__s1__input_power="0 W"))
    assert any(
        "trust-no-watts-with-amps" in codes_of(one.sentence) for one in found.findings if one.rule == "reading_withheld"
    )


def test_an_efficiency_of_nothing_says_nothing(krause: Job) -> None:
    assert not assess(edited(krause, nameplate__nominal_efficiency="0 %")).left_out


def test_nothing_is_signed_that_was_worked_out_without_a_value(krause: Job, monkeypatch: pytest.MonkeyPatch) -> None:
    failing_where(monkeypatch, SPEED)
    with pytest.raises(ChangeRefused, match=r"nothing was signed\. Speed of set 1"):
        signed._refuse_open(assess(krause))
