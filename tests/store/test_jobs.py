"""Jobs as they are kept: every edit a named change, refused when stale, undone and put back, never lost."""

from __future__ import annotations

import threading

import pytest

from modest_rotor.core.errors import ChangeRefused, Conflict, UnknownItem
from modest_rotor.core.job import Job
from modest_rotor.core.say import reader_of, words_for
from modest_rotor.core.statements import Edit
from modest_rotor.store import board, jobs
from modest_rotor.store.database import database, with_connection
from modest_rotor.store.models import ChangeRow, JobRow, SiteRow
from tests.jobs import KRAUSE
from tests.said import codes_of, refused_with

pytestmark = [pytest.mark.database, pytest.mark.usefixtures("store")]


@with_connection
def begun() -> jobs.StoredJob:
    return jobs.keep_job(Job.model_validate(KRAUSE))


@with_connection
def edit(stored: jobs.StoredJob, path: str, after: object, who: str = "") -> jobs.StoredJob:
    return jobs.keep(stored.id, stored.revision, Edit(path, after), who)


@with_connection
def loaded(job_id: int) -> jobs.StoredJob:
    return jobs.load(job_id)


def test_a_job_is_begun_with_a_name_and_its_site_is_found_again() -> None:
    with database.connection_context():
        first, second = jobs.begin_job("Fan 1", "Quay"), jobs.begin_job("Fan 2", "Quay")
        assert first.site_id == second.site_id and first.machine_id != second.machine_id
        assert SiteRow.select().count() == 1
        assert loaded(first.id).job.machine.name == "Fan 1"


def test_what_was_kept_comes_back_the_same() -> None:
    assert loaded(begun().id).job == Job.model_validate(KRAUSE)


def test_a_change_says_path_before_after_who_and_when() -> None:
    first = begun()
    stored = edit(first, "call/notes", "humming", "Ines at the quay")
    edit(stored, "call/notes", "silent")
    with database.connection_context():
        one, two = jobs.changes_of(first.id)
    assert (one.path, one.before, one.after, one.who) == ("call/notes", None, "humming", "Ines at the quay")
    assert (two.before, two.after) == ("humming", "silent")
    assert one.at < two.at and one.at.tzinfo is not None
    assert [one.revision, two.revision] == [2, 3]


def test_what_a_change_is_called_is_read_in_the_language_of_whoever_looks() -> None:
    first = begun()
    told = edit(first, "call/reason", "hot").undo_label
    again = loaded(first.id).undo_label
    assert told == again == "Why are we here?" and codes_of(again) == codes_of(told) != frozenset()
    assert words_for(again, reader_of("es-ES")) == "¿Por qué estamos aquí?"


@with_connection
def called(stored: jobs.StoredJob, label: str) -> jobs.StoredJob:
    return jobs.keep(stored.id, stored.revision, Edit("call/notes", "humming", label), "")


def test_what_somebody_calls_a_change_is_no_message_whatever_it_begins_with() -> None:
    first = begun()
    called(first, '\x02{"number": 1, "as": "9d"}')
    assert loaded(first.id).undo_label == '{"number": 1, "as": "9d"}'


def test_a_change_that_changes_nothing_is_no_change() -> None:
    first = begun()
    assert edit(first, "call/reason", "costly").revision == first.revision


def test_a_stale_save_is_refused_in_words_and_overwrites_nothing() -> None:
    first = begun()
    edit(first, "call/notes", "from window one")
    with pytest.raises(Conflict) as refusal:
        edit(first, "call/notes", "from window two")
    assert "store-jobs-locked-window-out" in codes_of(
        refusal.value.sentence
    ) and "store-jobs-locked-window-out" in codes_of(refusal.value.sentence)
    assert loaded(first.id).job.document.call.notes == "from window one"


def test_two_saves_at_once_do_not_both_win() -> None:
    first = begun()
    outcomes: list[str] = []

    def save(text: str) -> None:
        try:
            edit(first, "call/notes", text)
            outcomes.append("saved")
        except Conflict:
            outcomes.append("refused")

    threads = [threading.Thread(target=save, args=(f"note {number}",)) for number in range(6)]
    for thread in threads:
        thread.start()
    for thread in threads:
        thread.join()
    assert sorted(outcomes) == ["refused"] * 5 + ["saved"]


def test_undo_and_redo_are_changes_of_their_own_and_history_is_kept() -> None:
    first = begun()
    stored = edit(edit(first, "call/notes", "one"), "call/notes", "two")
    with database.connection_context():
        back = jobs.undo(stored.id, stored.revision)
        assert back.job.document.call.notes == "one" and back.redo_label
        further = jobs.undo(back.id, back.revision)
        assert further.job.document.call.notes is None and further.undo_label is None
        again = jobs.redo(further.id, further.revision)
        assert again.job.document.call.notes == "one"
        assert [change.kind for change in jobs.changes_of(first.id)] == ["edit", "edit", "undo", "undo", "redo"]
        newer = jobs.keep(again.id, again.revision, Edit("call/notes", "three"))
        assert newer.redo_label is None
        with pytest.raises(ChangeRefused, match="nothing to redo"):
            jobs.redo(newer.id, newer.revision)


def test_a_removed_set_comes_back_whole() -> None:
    first = begun()
    emptied = edit(first, "readings", [])
    with database.connection_context():
        assert jobs.undo(emptied.id, emptied.revision).job == first.job


def test_undo_does_not_take_back_what_another_job_of_the_machine_changed() -> None:
    first = begun()
    stored = edit(first, "machine/name", "Fan one")
    with database.connection_context():
        row = JobRow.get_by_id(first.id)
        row.machine.document = {**row.machine.document, "name": "Fan of another job"}
        row.machine.save()
        with refused_with(ChangeRefused, "store-jobs-step-back-changed-another"):
            jobs.undo(stored.id, stored.revision)


def test_what_version_1_kept_in_words_is_taken_back_and_done_again() -> None:
    """Document and history as the program of that version left them: phrases where codes are kept now."""
    words = {"taps": "by a lower tap or regulator step", "throttle": "by a damper or valve"}
    first = begun()
    stored = edit(edit(first, "duty/part_flow", "taps"), "duty/part_flow", "throttle")
    with database.connection_context():
        for change in jobs.changes_of(first.id):
            ChangeRow.update(before=words.get(change.before), after=words.get(change.after)).where(
                ChangeRow.id == change.id
            ).execute()
        row = JobRow.get_by_id(first.id)
        row.document = {**row.document, "duty": {**row.document["duty"], "part_flow": words["throttle"]}}
        row.save()
        back = jobs.undo(stored.id, stored.revision)
        assert back.job.document.duty.part_flow == "taps"
        again = jobs.redo(back.id, back.revision)
        assert again.job.document.duty.part_flow == "throttle"
        further = jobs.undo(again.id, again.revision)
        assert further.job.document.duty.part_flow == "taps"
        assert jobs.undo(further.id, further.revision).job.document.duty.part_flow == "throttle", "as it was begun"


def test_a_refused_change_leaves_nothing_half_written() -> None:
    first = begun()
    with pytest.raises(ChangeRefused):
        edit(first, "machine/type", "square")
    assert loaded(first.id).revision == first.revision
    with database.connection_context():
        assert ChangeRow.select().count() == 0


def test_the_board_tells_every_job_and_follows_its_changes() -> None:
    first = begun()
    with database.connection_context():
        (site,) = board.all_jobs_by_site()
        before = site.jobs[0].line
        assert JobRow.get_by_id(first.id).summary_key
        stored = jobs.keep(first.id, first.revision, Edit("call/protected", "smoke control"))
        after = board.all_jobs_by_site()[0].jobs[0].line
    assert not before.stopped and after.stopped
    assert stored.job.currency == "EUR"


def test_an_unknown_job_is_unknown() -> None:
    with database.connection_context(), pytest.raises(UnknownItem, match="no job 4711"):
        jobs.load(4711)
