"""Starting and stopping: from nothing, twice, beside others, after crashes; and what kill -9 may not lose."""

from __future__ import annotations

import os
import signal
import socket
import subprocess
import sys
import time
import urllib.error
import urllib.request
from collections.abc import Iterator
from contextlib import suppress
from pathlib import Path

import psycopg
import pytest

from modest_rotor.serve.cluster import DATABASE, Cluster
from tests.running import Application

pytestmark = pytest.mark.slow
ROOT = Path(__file__).parents[2]


@pytest.fixture
def application() -> Iterator[Application]:
    """Without the demo, which takes some seconds to be worked out and which most of these do not need."""
    application = Application("--no-demo")
    yield application
    application.remove()


def note_of(application: Application, job: int = 1) -> str | None:
    return application.get(f"/api/jobs/{job}")["document"]["call"]["notes"]


def save_note(application: Application, text: str) -> None:
    if not application.get("/api/board"):
        application.post("/api/jobs", {"machine_name": "Fan"})
    revision = application.get("/api/jobs/1")["revision"]
    application.post("/api/jobs/1/changes", {"revision": revision, "path": "call/notes", "text": text})


def test_from_an_empty_directory_with_the_demo_once_and_leaving_nothing_behind(application: Application) -> None:
    application.arguments = ()
    application.start()
    sites = [site["site"]["name"] for site in application.get("/api/board")]
    assert sites == ["Quillhaven Ferry Terminal", "Old Net Loft Community Hall"]
    assert application.stop() == 0
    assert application.output().count(application.address) == 1
    assert application.database_processes() == []
    application.start()
    assert len(application.get("/api/board")) == 2  # loaded once, not again


def test_without_the_demo_the_board_is_empty(application: Application) -> None:
    application.start()
    assert application.get("/api/board") == []


@pytest.mark.parametrize("ending", [signal.SIGTERM, signal.SIGHUP])
def test_a_closed_terminal_leaves_no_database_behind(application: Application, ending: signal.Signals) -> None:
    application.start()
    application.stop(ending)
    assert application.database_processes() == []


def test_ctrl_c_in_a_terminal_ends_everything_without_a_traceback(application: Application) -> None:
    application.start()
    assert application.process
    os.killpg(application.process.pid, signal.SIGINT)  # a terminal sends it to every process of its group
    assert application.process.wait(90) == 0
    assert application.database_processes() == []
    assert "Traceback" not in application.output(), application.output()


def test_a_second_start_on_the_same_data_says_where_the_first_runs(application: Application) -> None:
    application.start()
    second = Application(data=application.data).start(wait=False)
    assert second.process and second.process.wait(90) == 0
    assert f"already runs on this data, at {application.address}" in second.output()
    for _ in range(20):  # on a busy machine one look at the database may run out of its bound
        if application.get("/api/health", quiet=True).get("database"):
            return
        time.sleep(0.5)
    raise AssertionError(second.output())


def test_a_port_in_use_is_a_sentence_that_says_what_to_do(application: Application) -> None:
    with socket.socket() as other:
        other.bind(("127.0.0.1", application.port))
        other.listen()
        application.start(wait=False)
        assert application.process and application.process.wait(90) == 1
    told = application.output()
    assert f"port {application.port} is in use" in told and f"--port {application.port + 1}" in told
    assert "Traceback" not in told


def test_a_directory_that_cannot_be_used_is_a_sentence() -> None:
    command = [sys.executable, "-m", "modest_rotor.serve", "--data", "/proc/nowhere"]
    done = subprocess.run(command, capture_output=True, text=True, check=False, timeout=120)
    assert done.returncode == 1 and "Choose another with --data" in done.stderr and "Traceback" not in done.stderr


def test_kill_minus_nine_of_the_server_loses_nothing_saved(application: Application) -> None:
    application.start()
    save_note(application, "kept before the crash")
    application.stop(signal.SIGKILL)
    assert application.database_processes()  # the database outlived it
    application.start()
    assert note_of(application) == "kept before the crash"


def test_kill_minus_nine_of_the_database_loses_nothing_and_it_comes_back(application: Application) -> None:
    application.start()
    save_note(application, "kept before the crash")
    os.kill(application.database_processes()[0], signal.SIGKILL)
    deadline = time.monotonic() + 90
    while time.monotonic() < deadline:
        time.sleep(0.3)
        if application.get("/api/health", quiet=True).get("database"):
            break
    assert note_of(application) == "kept before the crash"
    save_note(application, "and saved after it")
    assert note_of(application) == "and saved after it"


def test_stale_lock_files_of_a_crash_are_no_obstacle(application: Application) -> None:
    application.start()
    save_note(application, "kept")
    application.stop(signal.SIGKILL)
    application.kill_database()
    assert (application.data / "cluster" / "postmaster.pid").exists()
    application.start()
    assert note_of(application) == "kept"


def test_what_a_first_start_that_was_cut_short_left_is_named_and_no_obstacle(application: Application) -> None:
    (application.data / "cluster.making-half").mkdir(parents=True)
    application.start()
    assert application.get("/api/health")["database"]
    assert "cluster.making-half is left over" in application.output()
    assert (application.data / "cluster.making-half").is_dir()


def test_files_of_another_program_are_refused_in_words_and_stay(application: Application) -> None:
    (application.data / "cluster" / "mail").mkdir(parents=True)
    application.start(wait=False)
    assert application.process and application.process.wait(90) == 1
    told = application.output()
    assert "no database of Modest Rotor" in told and "mv " in told and "Traceback" not in told
    assert (application.data / "cluster" / "mail").is_dir()


def test_data_of_a_newer_program_are_left_alone(application: Application) -> None:
    application.start()
    cluster = Cluster(application.data)
    with psycopg.connect(**cluster.operator_parameters | {"dbname": DATABASE}, autocommit=True) as connection:  # type: ignore[arg-type]
        (table,) = connection.execute(  # type: ignore[misc]
            "SELECT tablename FROM pg_tables WHERE schemaname = 'public' AND tablename LIKE '%migration%'"
        ).fetchone()
        names = [row[0] for row in connection.execute("SELECT column_name FROM information_schema.columns WHERE table_name = %s", (table,)).fetchall()]  # fmt: skip
        copied = ", ".join("'9999_of_the_future'" if name == "name" else name for name in names if name != "id")
        kept = ", ".join(name for name in names if name != "id")
        connection.execute(f"INSERT INTO {table} ({kept}) SELECT {copied} FROM {table} LIMIT 1")
    application.stop()
    application.start(wait=False)
    assert application.process and application.process.wait(90) == 1
    told = application.output()
    assert "9999_of_the_future" in told and "Nothing was changed" in told
    assert application.database_processes() == []


def test_a_frozen_database_keeps_nobody_waiting_and_pages_come_without_it(application: Application) -> None:
    application.start()
    for number in application.database_processes():
        os.kill(number, signal.SIGSTOP)
    try:
        waits = {}
        for path in ("/", "/api/health", "/api/board", "/api/jobs/1", "/", "/api/health"):
            begun = time.monotonic()
            with suppress(urllib.error.HTTPError):
                urllib.request.urlopen(application.address + path, timeout=60).read()
            waits[path] = time.monotonic() - begun
        assert waits["/"] < 4 and waits["/api/health"] < 8 and max(waits.values()) < 15, (
            waits
        )  # a frozen one answers never
    finally:
        for number in application.database_processes():
            os.kill(number, signal.SIGCONT)
    application.wait_until_it_answers()
    assert application.get("/api/board") == []


@pytest.mark.parametrize("command", ["start", "test", ".ci/run"])
def test_the_commands_are_sound_shell_with_a_run_bit(command: str) -> None:
    assert os.access(ROOT / command, os.X_OK)
    subprocess.run(["bash", "-n", str(ROOT / command)], check=True)
