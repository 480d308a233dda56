"""The round of readings: its order, its cautions, what belongs to which machine, and what cannot be read."""

from __future__ import annotations

import pytest

from modest_rotor.core.changes import with_change
from modest_rotor.core.errors import ChangeRefused
from modest_rotor.core.job import Job
from modest_rotor.core.stations.reading_round import RoundPhase, RoundStep
from modest_rotor.core.stations.readings import ReadingSet
from modest_rotor.core.stations.sheet import quantity_of
from tests.core.setup.test_setup_answer import HALL, WAITING, demo
from tests.jobs import KRAUSE, assessed, changed

ORDER = list(RoundPhase)
PUMP = demo("grey_water_lift_pump")


@pytest.mark.parametrize("data", [WAITING, HALL, KRAUSE, PUMP])
def test_a_round_is_walked_once_isolated_then_opened_then_closed_and_running(data: dict[str, object]) -> None:
    steps = assessed(data).round
    assert [ORDER.index(step.phase) for step in steps] == sorted(ORDER.index(step.phase) for step in steps)
    fields = [step.field for step in steps]
    assert len(fields) == len(set(fields)) >= 8
    assert all(quantity_of(ReadingSet, field) for field in fields)


@pytest.mark.parametrize("data", [WAITING, HALL, PUMP])
def test_every_reading_comes_with_the_caution_of_its_phase(data: dict[str, object]) -> None:
    """What is read at terminals is live work; what is read isolated is locked out, discharged and proved dead first."""
    for step in assessed(data).round:
        assert step.how and step.caution
        live = "Live work" in step.caution and "only by those qualified" in step.caution
        assert live is (step.phase is RoundPhase.OPENED), step.field
        if step.phase is RoundPhase.ISOLATED:
            assert all(word in step.caution for word in ("Isolate", "lock out", "prove dead", "discharge"))


def fields_of(steps: tuple[RoundStep, ...]) -> set[str]:
    return {step.field for step in steps}


def test_each_machine_has_its_own_readings() -> None:
    single, three, pump = (fields_of(assessed(one).round) for one in (WAITING, HALL, PUMP))
    assert {"capacitance", "start_current", "run_capacitor_volts", "voltage", "current"} <= single
    assert {"voltage_12", "voltage_23", "voltage_31", "current_1", "current_2", "current_3"} <= three
    assert not three & {"capacitance", "start_current", "voltage", "current"} and not single & {"voltage_12"}
    assert {"suction", "discharge", "water_flow"} <= pump and not pump & {"supply_static", "airflow", "filter_drop"}
    shaded = changed(WAITING, nameplate__motor_kind="shaded-pole", nameplate__run_capacitance=None)
    assert not fields_of(assessed(shaded).round) & {"capacitance", "start_current", "run_capacitor_volts"}


def test_what_cannot_be_read_is_asked_for_no_more_until_it_was_read_all_the_same() -> None:
    job = changed(KRAUSE)
    (first,) = [one["id"] for one in job["document"]["readings"]][:1]
    path = f"readings/{first}/input_power"
    job["document"]["readings"][0].pop("input_power", None)
    before = assessed(job)
    assert path in {step.path for step in before.next} | {one.path for one in before.sets[0].flows.next}
    job["document"]["readings"][0]["unread"] = [{"field": "input_power", "why": "no meter"}]
    after = assessed(job)
    assert path not in {step.path for step in after.next} | {one.path for one in after.sets[0].flows.next}
    read = Job.model_validate(changed(job, readings__0__input_power="500 W")).document.readings[0]
    assert read.out_of_reach == frozenset() and read.unread[0].why == "no-meter"


@pytest.mark.parametrize(
    ("unread", "words"),
    [
        ([{"field": "nothing", "why": "no meter"}], "no reading called"),
        ([{"field": "name", "why": "no meter"}], "no reading called"),
        ([{"field": "speed", "why": "no meter"}, {"field": "speed", "why": "not safe"}], "twice"),
        ([{"field": "speed", "why": "because"}], "kept as it was"),
        ("speed", "kept as it was"),
    ],
)
def test_what_cannot_be_read_is_a_reading_and_has_one_reason(unread: object, words: str) -> None:
    job = Job.model_validate(KRAUSE)
    first = job.document.readings[0].id
    with pytest.raises(ChangeRefused, match=words):
        with_change(job, f"readings/{first}/unread", unread)
    kept = with_change(job, f"readings/{first}/unread", [{"field": "speed", "why": "not safe"}])
    assert kept.document.readings[0].unread[0].field == "speed"
