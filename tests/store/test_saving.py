"""What is known of a save: nothing, not known, saved; an act of one name is done once; and no wait is without end."""

from __future__ import annotations

import threading
import time
from collections.abc import Callable, Iterator

import psycopg
import pytest

from modest_rotor.core.errors import ChangeRefused, Conflict
from modest_rotor.core.numerals import NumberStyle
from modest_rotor.core.statements import Edit
from modest_rotor.store import board, jobs
from modest_rotor.store import database as door
from modest_rotor.store.database import DatabaseAway, DatabaseBusy, connection, database, transaction, with_connection
from modest_rotor.store.models import ChangeRow, CommandRow, SiteRow
from modest_rotor.store.saving import KnownCommand, Saved, Saving, watch_saving
from tests.said import refused_with

pytestmark = [pytest.mark.database, pytest.mark.usefixtures("store")]


@pytest.fixture
def saving() -> Iterator[Saving]:
    found = Saving(command="act-0001")
    watch_saving(found)
    yield found
    watch_saving(Saving())


def cut_own_connection() -> None:
    """End this thread's connection from the server's side, as a database that goes down does."""
    database.obj.connection().pgconn.finish()


def test_a_save_that_was_answered_is_saved_and_nothing_takes_that_back(saving: Saving) -> None:
    with connection():
        jobs.begin_job("Fan", "Quay")
        assert saving.state is Saved.SAVED and saving.about == {"job": 1}
        with pytest.raises(ZeroDivisionError), transaction():
            raise ZeroDivisionError
    assert saving.state is Saved.SAVED


def test_a_look_begun_before_a_site_s_numbers_were_said_does_not_hide_them() -> None:
    """It read the site as it was, and keeps what it read only after the other was answered."""
    with connection():
        job = jobs.begin_job("Fan", "Quay")
        early = jobs.row_of(job.id)
        jobs.say_numbers(job.id, NumberStyle.COMMA)
        assert jobs.job_in(early).site.numbers is None
        assert jobs.load(job.id).job.site.numbers is NumberStyle.COMMA
        assert jobs.job_of(job.id).site.numbers is NumberStyle.COMMA


def test_what_fails_before_its_commit_saves_nothing(saving: Saving) -> None:
    with connection(), pytest.raises(ChangeRefused), transaction():
        SiteRow.create(name="Quay", units="si")
        raise ChangeRefused("no")
    assert saving.state is Saved.NOTHING
    with connection():
        assert SiteRow.select().count() == 0 == CommandRow.select().count()


def test_a_commit_whose_answer_is_lost_is_not_known(saving: Saving, monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setattr(door, "begun", lambda begun=door.begun: (begun(), cut_own_connection()))
    with pytest.raises(DatabaseAway), connection():
        jobs.begin_job("Fan", "Quay")
    assert saving.state is Saved.UNKNOWN
    door.AVAILABLE.answered()


def test_an_act_of_one_name_is_done_once_and_says_what_it_made(saving: Saving) -> None:
    with connection():
        stored = jobs.begin_job("Fan", "Quay")
    watch_saving(Saving(command="act-0001"))
    with connection(), pytest.raises(KnownCommand) as told:
        jobs.begin_job("Fan", "Quay")
    assert told.value.about == {"job": stored.id}
    with connection():
        assert sum(len(site.jobs) for site in board.all_jobs_by_site()) == 1


def test_an_act_that_was_refused_may_be_sent_again(saving: Saving) -> None:
    with connection():
        stored = jobs.begin_job("Fan", "Quay")
        watch_saving(Saving(command="act-0002"))
        with pytest.raises(Conflict):
            jobs.keep(stored.id, "9.9", Edit("call/notes", "x"))
        watch_saving(Saving(command="act-0002"))
        assert jobs.keep(stored.id, stored.revision, Edit("call/notes", "x")).undo_label


def test_two_that_send_the_same_act_at_once_do_it_once() -> None:
    done: list[object] = []

    def act() -> None:
        watch_saving(Saving(command="act-0003"))
        try:
            done.append(with_connection(jobs.begin_job)("Fan", "Quay").id)
        except KnownCommand as known:
            done.append(known)

    threads = [threading.Thread(target=act) for _ in range(4)]
    for thread in threads:
        thread.start()
    for thread in threads:
        thread.join(20)
    assert sorted(isinstance(one, KnownCommand) for one in done) == [False, True, True, True]


def test_a_failing_query_of_one_person_leaves_the_others_alone() -> None:
    """A name of 12,000 letters fits no index; a save that another is in the middle of goes on."""
    held, go = threading.Event(), threading.Event()
    kept: list[int] = []

    def another() -> None:
        with connection(), transaction():
            row = SiteRow.create(name="Quay", units="si")
            held.set()
            assert go.wait(20)
            kept.append(row.id)

    thread = threading.Thread(target=another)
    thread.start()
    assert held.wait(20)
    with refused_with(ChangeRefused, "database-told-database-cannot"), connection(), transaction():
        SiteRow.create(name="".join(chr(0x4E00 + n % 20_000) for n in range(12_000)), units="si")
    go.set()
    thread.join(20)
    with connection():
        assert [row.id for row in SiteRow.select()] == kept


def test_somebody_elses_row_is_waited_for_only_so_long() -> None:
    stored = with_connection(jobs.begin_job)("Fan", "Quay")
    held, go = threading.Event(), threading.Event()

    def another() -> None:
        with connection(), transaction():
            database.execute_sql("SELECT 1 FROM job FOR UPDATE")
            held.set()
            assert go.wait(20)

    thread = threading.Thread(target=another)
    thread.start()
    assert held.wait(20)
    begun = time.monotonic()
    with refused_with(DatabaseBusy, "database-told-somebody-else"), connection():
        jobs.keep(stored.id, stored.revision, Edit("call/notes", "x"))
    assert time.monotonic() - begun < 12
    go.set()
    thread.join(20)
    with connection():
        jobs.keep(stored.id, stored.revision, Edit("call/notes", "x"))


def test_a_statement_that_gets_no_answer_is_cut_off_from_this_side(monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setattr(door, "FROZEN_AFTER_S", 0.5)
    begun = time.monotonic()
    with pytest.raises(DatabaseAway), connection():
        database.execute_sql("SET statement_timeout = 0")
        database.execute_sql("SELECT pg_sleep(30)")
    assert time.monotonic() - begun < 12
    with pytest.raises(DatabaseAway):  # and the next hears so at once
        with_connection(board.count_jobs)()
    time.sleep(door.TRY_AGAIN_AFTER_S + 0.1)
    assert with_connection(board.count_jobs)() == 0


def test_dead_connections_of_the_pool_are_never_handed_out(
    operator: dict[str, object], parameters: dict[str, object]
) -> None:
    with_connection(board.count_jobs)()
    with psycopg.connect(**operator, autocommit=True) as other:  # type: ignore[arg-type]
        ours = "SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = %s"
        other.execute(ours, (parameters["dbname"],))
    time.sleep(0.2)
    assert with_connection(board.count_jobs)() == 0


def statements(work: Callable[[], object], monkeypatch: pytest.MonkeyPatch) -> list[str]:
    """The statements that some work sends."""
    sent: list[str] = []
    plain = door._WatchedCursor.execute

    def listening(self: object, query: object, *rest: object, **more: object) -> object:
        sent.append(str(query))
        return plain(self, query, *rest, **more)

    monkeypatch.setattr(door._WatchedCursor, "execute", listening)
    work()
    monkeypatch.undo()
    return sent


def test_a_save_and_an_undo_cost_the_same_after_a_long_history(monkeypatch: pytest.MonkeyPatch) -> None:
    with connection():
        stored = jobs.begin_job("Fan", "Quay")

        def save(text: str) -> None:
            nonlocal stored
            stored = jobs.keep(stored.id, stored.revision, Edit("call/notes", text))

        def undo() -> None:
            nonlocal stored
            stored = jobs.undo(stored.id, stored.revision)

        save("first")
        short = [len(statements(lambda: save("second"), monkeypatch)), len(statements(undo, monkeypatch))]
        rows = [
            {"job": stored.id, "path": "call/notes", "label": "note", "at": stored.saved, "kind": "edit", "revision": 1000 + n, "before": "a", "after": "b"}
            for n in range(500)
        ]  # fmt: skip
        ChangeRow.insert_many(rows).execute()
        sent = statements(lambda: save("third"), monkeypatch)
        assert [len(sent), len(statements(undo, monkeypatch))] == short
        assert not any('"change"' in one and "SELECT" in one and '"id"' not in one for one in sent)


def test_undo_and_redo_walk_any_history_as_replaying_it_would(monkeypatch: pytest.MonkeyPatch) -> None:
    """Against the plain definition: two stacks, by replaying all changes."""
    import random

    rng = random.Random(7)
    with connection():
        stored = jobs.begin_job("Fan", "Quay")
        done: list[str | None] = []
        undone: list[str | None] = []
        note: str | None = None
        for step in range(120):
            act = rng.choice(("edit", "edit", "undo", "undo", "redo"))
            if act == "edit":
                done.append(note)
                undone.clear()
                note = f"note {step}"
                stored = jobs.keep(stored.id, stored.revision, Edit("call/notes", note))
            elif act == "undo" and done:
                undone.append(note)
                note = done.pop()
                stored = jobs.undo(stored.id, stored.revision)
            elif act == "redo" and undone:
                done.append(note)
                note = undone.pop()
                stored = jobs.redo(stored.id, stored.revision)
            assert stored.job.document.call.notes == note
            assert (stored.undo_label is None, stored.redo_label is None) == (not done, not undone)
