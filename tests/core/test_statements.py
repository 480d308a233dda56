"""What is said by name: each command says when it refuses, nothing but its own command changes it, and withdrawn it no longer counts."""

from __future__ import annotations

from functools import cache
from typing import Any

import pytest

from modest_rotor.core.assessment import Assessment
from modest_rotor.core.changes import value_at, with_change
from modest_rotor.core.errors import ChangeRefused, Conflict, UnknownItem
from modest_rotor.core.job import Job
from modest_rotor.core.report import build_report
from modest_rotor.core.statements import (
    STATEMENTS,
    Actor,
    Edit,
    answer_for_stop,
    mark_finding,
    record_approval,
    refuse_statements,
    sign_step,
    with_statements_of,
    withdraw,
    without_statements,
)
from modest_rotor.core.stations.findings import MarkState
from modest_rotor.core.stations.setup import SignState
from tests.core.setup.test_setup_answer import HALL
from tests.jobs import KRAUSE, assessed, changed
from tests.said import refused_with

ANN, BO, NOBODY = (Actor(name, "2026-11-29 10:00") for name in ("Ann", "Bo", "  "))
STOPPED = changed(
    KRAUSE, options__fitting={"listing_allows": "no"}, readings__0__capacitance="8 µF", setup__voltage_selector="400 V"
)
WEAK = "capacitor_off_label/s1"


@cache
def told(which: str = "stopped") -> tuple[Job, Assessment]:
    data = {"stopped": STOPPED, "hall": HALL}[which]
    return Job.model_validate(data), assessed(data)


def kept(job: Job, said: Edit) -> Job:
    return with_change(job, said.path, said.after)


def whole() -> Job:
    """A job in which everything was said once."""
    job, answer = told()
    job = kept(job, mark_finding(job, answer, WEAK, MarkState.FIXED, "new one", ANN))
    job = kept(job, answer_for_stop(job, answer, "electronic", "listing", "no listed appliance", ANN))
    job = kept(job, record_approval(job, "a drive on this motor", "A. Porter", "owner", ANN))
    hall, setup = told("hall")
    signed = sign_step(hall, setup, "isolate", SignState.DONE, "panel 2", None, ANN)
    return with_change(job, signed.path, signed.after)


def answered(job: Job) -> Assessment:
    return assessed(job.model_dump(mode="json"))


def test_each_is_kept_with_name_and_time() -> None:
    job = whole()
    for path in STATEMENTS:
        (one,) = value_at(job, path)
        assert one["at"] == "2026-11-29 10:00" and one["withdrawn"] is None
        assert "Ann" in (one.get("by"), one["who"])
    assert value_at(job, "decision/approvals")[0]["who"] == "A. Porter"


def test_what_cannot_be_said_is_refused_in_words() -> None:
    job, answer = told()
    with refused_with(ChangeRefused, "core-statements-mark-finding-finding-there"):
        mark_finding(job, answer, "nothing/s1", MarkState.FIXED, "", ANN)
    for option, check in (("electronic", "volts"), ("nobody", "listing")):
        with refused_with(ChangeRefused, "core-statements-answer-for-stop-stop-there"):
            answer_for_stop(job, answer, option, check, "because", ANN)
    for actor, reason in ((NOBODY, "because"), (ANN, " ")):
        with refused_with(ChangeRefused, "core-statements-answer-for-stop-stop-answered"):
            answer_for_stop(job, answer, "electronic", "listing", reason, actor)
    for of, given_by in ((" ", "A. Porter"), ("a drive", "")):
        with refused_with(ChangeRefused, "core-statements-record-approval-approval-says"):
            record_approval(job, of, given_by, "", ANN)
    with pytest.raises(ChangeRefused, match="recorded by a person"):
        record_approval(job, "a drive", "A. Porter", "", NOBODY)
    hall, setup = told("hall")
    with pytest.raises(ChangeRefused, match="signed by a person"):
        sign_step(hall, setup, "isolate", SignState.DONE, "", None, NOBODY)
    with refused_with(UnknownItem, "core-statements-sign-step-step-there"):
        sign_step(hall, setup, "sing", SignState.DONE, "", None, ANN)
    with refused_with(ChangeRefused, "core-statements-sign-step-nothing-signed"):
        sign_step(hall, setup, "power", SignState.DONE, "", None, ANN)


def test_a_second_signer_sees_the_first_and_a_withdrawn_one_is_nobody_s() -> None:
    hall, setup = told("hall")
    once = kept(hall, sign_step(hall, setup, "isolate", SignState.DONE, "", None, ANN))
    after = answered(once)
    (sign,) = once.document.setup.signs
    with refused_with(Conflict, "core-statements-sign-step-signed-step"):
        sign_step(once, after, "isolate", SignState.DONE, "", None, BO)
    assert sign_step(once, after, "isolate", SignState.DONE, "", sign.id, BO).after[-1]["who"] == "Bo"
    taken_back = kept(once, withdraw(once, "setup/signs", sign.id, "the wrong panel", BO))
    step = next(one for one in answered(taken_back).setup.steps if one.step == "isolate")
    assert step.signed is None and step.is_open and [one.id for one in step.earlier] == [sign.id]
    assert sign_step(taken_back, answered(taken_back), "isolate", SignState.DONE, "", None, ANN)


def test_withdrawn_it_stays_with_both_names_and_counts_no_longer() -> None:
    job = whole()
    before = answered(job)
    assert next(one for one in before.findings if one.key == WEAK).state is MarkState.FIXED
    assert next(one for one in before.options.options if one.id == "electronic").stop is None
    assert len(build_report(job, before, "2026-11-29", "1").approvals) == 2
    for path in STATEMENTS:
        (said,) = value_at(job, path)
        job = kept(job, withdraw(job, path, said["id"], "said too soon", BO))
        (now,) = value_at(job, path)
        assert now == said | {"withdrawn": {"who": "Bo", "at": BO.at, "why": "said too soon"}}
        with refused_with(ChangeRefused, "core-statements-withdraw-withdrew-meanwhile"):
            withdraw(job, path, said["id"], "again", ANN)
    after = answered(job)
    weak = next(one for one in after.findings if one.key == WEAK)
    assert weak.state is None and weak.is_open and len(weak.marks) == 1
    assert next(one for one in after.options.options if one.id == "electronic").stop
    assert build_report(job, after, "2026-11-29", "1").approvals == ()


def test_an_earlier_mark_stands_again_when_the_later_is_withdrawn() -> None:
    job, answer = told()
    job = kept(job, mark_finding(job, answer, WEAK, MarkState.CONFIRMED, "", ANN))
    job = kept(job, mark_finding(job, answer, WEAK, MarkState.FIXED, "", ANN))
    later = job.document.marks[-1]
    job = kept(job, withdraw(job, "marks", later.id, "it is another machine's", BO))
    found = next(one for one in answered(job).findings if one.key == WEAK)
    assert found.state is MarkState.CONFIRMED and found.is_open and len(found.marks) == 2


def test_who_withdraws_what_and_why_is_asked() -> None:
    job = whole()
    with pytest.raises(ChangeRefused, match="withdrawn by a person"):
        withdraw(job, "marks", "s1", "because", NOBODY)
    with refused_with(ChangeRefused, "core-statements-withdraw-what-said"):
        withdraw(job, "marks", "s1", " ", BO)
    for path, statement in (("marks", "s7"), ("readings", "s1"), ("", "")):
        with pytest.raises(UnknownItem):
            withdraw(job, path, statement, "because", BO)


FORGED: list[tuple[str, Any]] = [
    *((path, []) for path in STATEMENTS),
    ("marks/s1/who", "Eve"),
    ("marks/s1/state", "confirmed"),
    ("options/waivers/s1/reason", "fine"),
    ("decision/approvals/s1/who", "A. Stranger"),
    ("setup/signs/s1/at", "2020-01-01 00:00"),
    ("setup/signs/s1/withdrawn", {"who": "Eve", "at": None, "why": "no"}),
    ("options", {"waivers": []}),
    ("decision", {"chosen": "drive"}),
    ("setup", {}),
]


@pytest.mark.parametrize(("path", "value"), FORGED, ids=[path for path, _ in FORGED])
def test_no_edit_makes_changes_or_loses_a_statement(path: str, value: Any) -> None:
    job = whole()
    with refused_with(ChangeRefused, "core-statements-refuse-statements"):
        refuse_statements(job, with_change(job, path, value))


def test_an_edit_beside_them_is_none_of_their_business() -> None:
    job = whole()
    for path, value in (
        ("decision/why", "cheap"),
        ("options/resistance_factor", "120 %"),
        ("setup/tolerance", "4 %"),
        ("call/reason", "dead"),
        ("decision", {**value_at(job, "decision"), "chosen": "drive"}),
    ):
        refuse_statements(job, with_change(job, path, value))


def test_what_undo_compares_and_puts_back_leaves_statements_where_they_are() -> None:
    job, bare = whole(), told()[0]
    for path in ("options", "decision", "setup"):
        assert without_statements(path, value_at(job, path)) == without_statements(path, value_at(bare, path))
        undone = with_statements_of(job, with_change(job, path, value_at(bare, path)))
        assert all(value_at(undone, one) == value_at(job, one) for one in STATEMENTS)
    assert without_statements("nameplate/line", "1/2 HP") == "1/2 HP"
    assert without_statements("options", {"waivers": [1], "resistance_factor": 2}) == {"resistance_factor": 2}
