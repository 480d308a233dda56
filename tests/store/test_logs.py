"""Readings over time as they are kept: all or none, never doubled, never of the future; told anew when something is added."""

from __future__ import annotations

from datetime import UTC, datetime, timedelta

import pytest

from modest_rotor.core.drift.log import EventKind
from modest_rotor.core.errors import ChangeRefused, UnknownItem
from modest_rotor.core.job import Job
from modest_rotor.core.statements import Edit
from modest_rotor.store import logs, signed
from modest_rotor.store.database import with_connection
from modest_rotor.store.fits import assess_job
from modest_rotor.store.jobs import StoredJob, keep, keep_job, load
from modest_rotor.store.logs import NewReading
from modest_rotor.store.models import SignedRow
from tests.core.setup.test_setup_answer import BAGGAGE
from tests.jobs import KRAUSE
from tests.said import codes_of, refused_with

pytestmark = [pytest.mark.database, pytest.mark.usefixtures("store")]
NOW = datetime.now(UTC).replace(microsecond=0)


@pytest.fixture
def job() -> StoredJob:
    return with_connection(keep_job)(Job.model_validate(KRAUSE))


def readings(count: int, watts: float = 300.0, source: str = "panel") -> list[NewReading]:
    return [
        NewReading(
            NOW - timedelta(hours=count - i), "as it runs", source, {"input_power": watts + i % 7, "speed": 1710.0}
        )
        for i in range(count)
    ]


@with_connection
def test_readings_are_kept_once_however_often_they_are_brought(job: StoredJob) -> None:
    assert logs.keep_readings(job.machine_id, readings(50)) == (50, 0)
    assert logs.keep_readings(job.machine_id, readings(60)) == (10, 50)
    kept = logs.log_of(job.machine_id)
    assert len(kept) == 60 and set(kept.columns) == {"input_power", "speed"} and (kept.days[1:] >= kept.days[:-1]).all()


@with_connection
def test_one_reading_of_the_future_or_without_a_value_refuses_all(job: StoredJob) -> None:
    ahead = NewReading(NOW + timedelta(days=2), "x", "panel", {"speed": 1.0})
    empty = NewReading(NOW - timedelta(days=2), "x", "panel", {})
    for wrong in (ahead, empty):
        with pytest.raises(ChangeRefused, match=r"othing was taken in|says nothing"):
            logs.keep_readings(job.machine_id, [*readings(5), wrong])
    assert len(logs.log_of(job.machine_id)) == 0


@with_connection
def test_a_machine_that_is_not_there_keeps_nothing() -> None:
    with pytest.raises(UnknownItem):
        logs.keep_readings(99, readings(3))
    with pytest.raises(UnknownItem):
        logs.answer_of(99)


@with_connection
def test_the_answer_is_kept_until_something_is_added(job: StoredJob) -> None:
    logs.keep_readings(job.machine_id, readings(60))
    first = logs.answer_of(job.machine_id)
    assert logs.answer_of(job.machine_id) is first and not first.drifts and first.readings == 60
    logs.add_event(job.machine_id, NOW - timedelta(hours=3), EventKind.FILTER, "", 180, "Ann")
    second = logs.answer_of(job.machine_id)
    assert second is not first and second.waits and "judge-waits-readings-since" in codes_of(second.waits)
    assert second.next_day == pytest.approx(logs.day_of(NOW - timedelta(hours=3)) + 180)
    logs.remove_event(job.machine_id, logs.events_of(job.machine_id)[0].id)
    assert logs.answer_of(job.machine_id).waits is None


@with_connection
def test_a_service_of_the_future_is_refused(job: StoredJob) -> None:
    with refused_with(ChangeRefused, "logs-add-event"):
        logs.add_event(job.machine_id, NOW + timedelta(days=1), EventKind.BELT, "", None, "Ann")


@with_connection
def test_a_sign_off_freezes_job_and_numbers_and_later_changes_leave_it_readable() -> None:
    stored = keep_job(Job.model_validate(BAGGAGE))
    line = signed.sign(stored.id, stored.revision, " Ann ", "plant")
    assert (line.number, line.who, line.revision) == (1, "Ann", stored.revision)
    with refused_with(ChangeRefused, "signed-sign-signed-just"):
        signed.sign(stored.id, stored.revision, "Bo", "")
    changed = keep(stored.id, stored.revision, Edit("readings/s2/input_power", {"typed": "500 W", "unit": "W"}))
    assert signed.signed(stored.id, 1).job.document.readings[1].input_power.typed == "431 W"  # type: ignore[union-attr]
    before = signed.signed(stored.id, 1).assessment.proof.saved.figure
    assert before and before.value == pytest.approx(2192, abs=15)  # by hand in tests/core/proof/test_proof.py
    second = signed.sign(stored.id, changed.revision, "Bo", "")
    assert second.number == 2 and [one.who for one in signed.signed_lines(stored.id)] == ["Ann", "Bo"]
    after = signed.signed(stored.id, 2).assessment.proof.saved.figure
    assert after and after.value < before.value
    with pytest.raises(UnknownItem):
        signed.signed(stored.id, 3)


@with_connection
def test_what_an_earlier_program_signed_in_another_form_stays_readable_and_says_so() -> None:
    stored = keep_job(Job.model_validate(BAGGAGE))
    signed.sign(stored.id, stored.revision, "Ann", "")
    SignedRow.update(assessment={"an": "older form"}).execute()
    found = signed.signed(stored.id, 1)
    assert found.anew and found.assessment.proof.verdict == "inside"


@with_connection
def test_what_was_signed_with_more_told_than_today_is_read_as_it_was_signed() -> None:
    """Earlier programs told with every option what a loading filter does, and the machine before its repair beside them."""
    stored = keep_job(Job.model_validate(BAGGAGE))
    signed.sign(stored.id, stored.revision, "Ann", "")
    kept = SignedRow.get().assessment
    first = kept["options"]["options"][0]
    kept["options"] |= {"as_found": first, "options": [one | {"loaded": None} for one in kept["options"]["options"]]}
    kept["options"]["options"][0]["loaded"] = {"holds": "speed", "points": [], "asked": None}
    # What moves a saving had another name.
    moves = [one.pop("sensitivities") for one in kept["options"]["options"]]
    for one, move in zip(kept["options"]["options"], moves, strict=True):
        one["levers"] = move and {"levers": move.pop("largest"), **move}
    # And the first page's limits under another name, their money with the options alone, and which uncertainties overlap.
    kept["options"]["overlap"] = "B and C overlap: the saving does not choose between them."
    told = [{**one, "cannot": one["limit"]} for one in kept["short"]["candidates"]]
    kept["short"]["candidates"] = [{k: v for k, v in one.items() if k not in ("limit", "money")} for one in told]
    # And the voltage selector, which was a link.
    kept["setup"]["link"] = kept["setup"].pop("voltage_selector")
    step = next(one for one in kept["setup"]["steps"] if one["step"] == "voltage_selector")
    step["step"] = "link"
    SignedRow.update(assessment=kept).execute()
    found = signed.signed(stored.id, 1)
    assert not found.anew and found.assessment.options.options[0].title == first["title"]
    assert found.assessment.setup == assess_job(stored.job).setup
    assert any(one.sensitivities and one.sensitivities.largest for one in found.assessment.options.options)
    chosen = next(one for one in found.assessment.short.candidates if one.chosen)
    option = next(one for one in found.assessment.options.options if one.id == chosen.id)
    assert chosen.money == option.saved_money and chosen.limit == next(iter(option.limits), None)


@with_connection
def test_nobody_signs_namelessly_stopped_unproved_or_unseen() -> None:
    stored = keep_job(Job.model_validate(BAGGAGE))
    with refused_with(ChangeRefused, "signed-sign-sign-off"):
        signed.sign(stored.id, stored.revision, "  ", "")
    with refused_with(Exception, "signed-refuse-moved"):
        signed.sign(stored.id, "0.0", "Ann", "")
    stop = [
        *stored.job.model_dump(mode="json")["document"]["setup"]["signs"],
        {"id": "s99", "step": "free", "state": "stop", "who": "Bo"},
    ]
    stopped = keep(stored.id, stored.revision, Edit("setup/signs", stop, "a stop", by_name=True), "Bo")
    with refused_with(ChangeRefused, "signed-refuse-open-stop-set"):
        signed.sign(stored.id, stopped.revision, "Ann", "")
    bare = keep_job(Job.model_validate(KRAUSE))
    with refused_with(ChangeRefused, "signed-refuse-open-there-nothing"):
        signed.sign(bare.id, bare.revision, "Ann", "")
    assert load(bare.id).revision == bare.revision
