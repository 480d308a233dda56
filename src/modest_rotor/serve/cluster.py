"""A private PostgreSQL cluster behind a socket, in a directory of its own. Nothing that was not made here is ever removed."""

from __future__ import annotations

import json
import logging
import os
import re
import secrets
import shlex
import shutil
import subprocess
import tempfile
import time
from dataclasses import dataclass
from datetime import UTC, datetime
from pathlib import Path
from typing import Any

import psycopg
from psycopg import sql

from modest_rotor.serve.postgresql import (
    SERVER_USER,
    ClusterError,
    newest_programs,
    password_in,
    processes_in,
    programs_for,
    server_identity,
    user_name,
)
from modest_rotor.serve.roles import make_database

log = logging.getLogger(__name__)
DATABASE = "modest_rotor"
OPERATOR, APPLICATION = "modest_rotor", "modest_rotor_app"
"""Who made the cluster and may do all, and as whom the application works, who may not."""
MARK = "modest-rotor.json"
MADE_BY = "Modest Rotor"
LONGEST_START_S = 60.0
LONGEST_SOCKET = 90
"""A socket's whole path may have 107 bytes on Linux; its name takes some of them."""
PORT = 5432
"""Only names the socket: nothing listens on the network."""
PLAIN_PATH = re.compile(r"[A-Za-z0-9/_.+-]+")
FAST_SETTINGS = {"fsync": "off", "synchronous_commit": "off", "full_page_writes": "off"}
SETTINGS = {"listen_addresses": "", "max_connections": "60"}
MOST_NAMED = 5


@dataclass(frozen=True)
class _Lock:
    """What ``postmaster.pid`` says: the process, the directory it worked in, and where it listens."""

    number: int
    directory: str
    port: int
    socket: str


class Cluster:
    """One PostgreSQL cluster: created, started, watched, stopped.

    :param directory: where its files live; made when missing.
    :param fast: give up crash safety for speed; for tests only.
    """

    def __init__(self, directory: Path, fast: bool = False) -> None:
        self.directory = directory.resolve()
        self.files = self.directory / "cluster"
        self.fast = fast
        self.socket = self.directory / "socket"
        self._as_server: dict[str, Any] = server_identity()

    @property
    def parameters(self) -> dict[str, Any]:
        """How the application connects to its database."""
        return self._parameters(APPLICATION, self.directory / "password-app", DATABASE)

    @property
    def operator_parameters(self) -> dict[str, Any]:
        """How whoever may do all connects: to make databases, and for tests."""
        return self._parameters(OPERATOR, self.directory / "password", "postgres")

    def _parameters(self, user: str, file: Path, database: str) -> dict[str, Any]:
        return {
            "dbname": database,
            "host": str(self.socket),
            "port": PORT,
            "user": user,
            "password": password_in(file),
        }

    def start(self) -> None:
        """Create the cluster if it is new, start it if it does not run, make the application's database.

        :raises ClusterError: it cannot, in words; nothing that was found is changed or removed.
        """
        if not self.files.exists() or not any(self.files.iterdir()):
            self._create()
        self._refuse_what_is_no_cluster()
        self._refuse_other_owner()
        lock = self._lock()
        if self._postmaster() is not None:
            assert lock is not None
            self.socket = Path(lock.socket) if lock.socket else self.socket
            self._wait_until_it_answers()
        else:
            self._refuse_copy(lock)
            self._remove_stale_lock()
            self._turn_checksums_on()
            self._launch()
        try:
            self._check_and_mark()
            own = self.directory / "password-app"
            if not own.exists() or not own.read_text().strip():
                self._write_password(own, secrets.token_urlsafe(24))
            make_database(self.operator_parameters, DATABASE, APPLICATION, password_in(own))
        except psycopg.Error as error:
            raise ClusterError(self._words_of(error)) from error

    def stop(self) -> None:
        """Stop the server of this directory; nothing happens if it does not run, and nobody else's is touched."""
        if self._postmaster():
            self._run("pg_ctl", "-D", str(self.files), "-m", "fast", "-w", "stop", check=False)

    def is_alive(self) -> bool:
        """Whether the server's first process is alive."""
        return self._postmaster() is not None

    def adopt(self) -> None:
        """Take a directory that was copied or moved while its database ran for one's own: its lock is another's."""
        lock = self._lock()
        if lock is not None and self._postmaster() is None:
            (self.files / "postmaster.pid").unlink(missing_ok=True)

    def renew_password(self) -> None:
        """Make a new password for the database, in place of one that was lost; nobody else gets in meanwhile."""
        if self._postmaster() is not None:
            raise ClusterError("The database runs: stop Modest Rotor first, then make a new password.")
        self._remove_stale_lock()
        with tempfile.TemporaryDirectory(prefix="modest-rotor-") as folder:
            room, rules = Path(folder) / "s", Path(folder) / "rules"
            room.mkdir(mode=0o700)
            rules.write_text("local all all trust\n")
            self._give_to_server(Path(folder), room, rules)
            self._launch(room, {"hba_file": str(rules)})
            try:
                password = secrets.token_urlsafe(24)
                with psycopg.connect(
                    host=str(room), port=PORT, user=OPERATOR, dbname="postgres", autocommit=True
                ) as one:
                    one.execute(sql.SQL("ALTER ROLE {} PASSWORD {}").format(sql.Identifier(OPERATOR), password))
                self._write_password(self.directory / "password", password)
            finally:
                self.stop()

    # -- making it -----------------------------------------------------------------------------------------------------

    def _create(self) -> None:
        """Make the cluster beside its place and put it there whole: what is in its place is never half a cluster."""
        self._prepare_directory()
        programs = newest_programs()
        making = Path(tempfile.mkdtemp(prefix="cluster.making-", dir=self.directory))
        password = self.directory / "password"
        self._write_password(password, secrets.token_urlsafe(24))
        self._give_to_server(making)
        with tempfile.NamedTemporaryFile("w", prefix="modest-rotor-", dir=self.directory) as handed:
            handed.write(password_in(password))
            handed.flush()
            self._give_to_server(Path(handed.name))
            self._run(
                "initdb", "-D", str(making), "-U", OPERATOR, "-A", "scram-sha-256", f"--pwfile={handed.name}",
                "--encoding=UTF8", "--locale=C.UTF-8", "--data-checksums", *([] if not self.fast else ["--no-sync"]),
                programs=programs,
            )  # fmt: skip
        settings = SETTINGS | (FAST_SETTINGS if self.fast else {})
        with (making / "postgresql.conf").open("a") as file:
            file.writelines(f"{name} = '{value}'\n" for name, value in settings.items())
        self._write_mark(making)
        making.rename(self.files)  # made in this very start; its place is empty

    def _write_mark(self, folder: Path) -> None:
        mark = folder / MARK
        told = {
            "made_by": MADE_BY,
            "id": secrets.token_hex(8),
            "postgresql": (folder / "PG_VERSION").read_text().strip(),
            "at": f"{datetime.now(UTC):%Y-%m-%d %H:%M}",
        }
        mark.write_text(json.dumps(told) + "\n")
        self._give_to_server(mark)

    def _write_password(self, file: Path, password: str) -> None:
        file.touch(mode=0o600)
        file.chmod(0o600)
        file.write_text(password)

    def _is_marked(self) -> bool:
        try:
            told = json.loads((self.files / MARK).read_text())
        except (OSError, ValueError):
            return False
        return isinstance(told, dict) and told.get("made_by") == MADE_BY and bool(told.get("id"))

    def _prepare_directory(self) -> None:
        try:
            self.directory.mkdir(parents=True, exist_ok=True)
        except OSError as error:
            raise ClusterError(
                f"The data directory {self.directory} cannot be made: {error.strerror}. Choose another with --data."
            ) from error
        if not self._as_server:
            return
        for folder in (self.directory, *self.directory.parents):
            if not folder.stat().st_mode & 0o001 and folder.owner() != SERVER_USER:
                raise ClusterError(
                    f"PostgreSQL runs as the user {SERVER_USER} and may not enter {folder}. Choose a data directory that it can reach, with --data."
                )

    # -- what is found -------------------------------------------------------------------------------------------------

    def _refuse_what_is_no_cluster(self) -> None:
        if self._is_marked() or ((self.files / "PG_VERSION").is_file() and (self.files / "global").is_dir()):
            return
        found = sorted(path.name for path in self.files.iterdir()) if self.files.is_dir() else ["a file"]
        more = f" and {len(found) - MOST_NAMED} more" if len(found) > MOST_NAMED else ""
        raise ClusterError(
            f"{self.files} holds what is no database of Modest Rotor ({', '.join(found[:MOST_NAMED])}{more}). Nothing was changed"
            f" or removed. Choose another directory with --data, or move it aside:  {self._move_aside()}"
        )

    def _move_aside(self) -> str:
        return f"mv {shlex.quote(str(self.files))} {shlex.quote(str(self.files) + '-aside')}"

    def _refuse_other_owner(self) -> None:
        owner = self.files.stat().st_uid
        wanted = self._as_server.get("user", os.geteuid())
        if owner == wanted:
            return
        raise ClusterError(
            f"The database's files in {self.files} belong to {user_name(owner)}, but here PostgreSQL runs as {user_name(wanted)}."
            f" Nothing was changed. Start as {user_name(owner)}, or give them over:  chown -R {user_name(wanted)}"
            f" {shlex.quote(str(self.files))}"
        )

    def _refuse_copy(self, lock: _Lock | None) -> None:
        if lock is None or not lock.directory or Path(lock.directory).resolve() == self.files:
            return
        raise ClusterError(
            f"{self.directory} was copied or moved while its database ran: its lock is that of {lock.directory}, which was not"
            " touched. A copy made so may be torn; stop the original and copy it again. If this one is all that is left, start it"
            " once with --adopt."
        )

    def _words_of(self, error: psycopg.Error) -> str:
        said = " ".join(str(error).split())
        if "password authentication failed" in said or "role" in said:
            return (
                f"The password in {self.directory / 'password'} is not that of this database, whose data are untouched. Put the right"
                " file back, or have a new one made:  ./start --new-password"
            )
        return f"The database does not answer: {said[:300]}"

    def _check_and_mark(self) -> None:
        """A database without its mark is opened and looked into; one that is ours gets the mark that it lost."""
        if self._is_marked():
            return
        with psycopg.connect(**self.operator_parameters, autocommit=True, connect_timeout=10) as connection:
            ours = connection.execute("SELECT 1 FROM pg_database WHERE datname = %s", (DATABASE,)).fetchone()
        if ours is not None:
            parameters = self.operator_parameters | {"dbname": DATABASE}
            with psycopg.connect(**parameters, autocommit=True, connect_timeout=10) as connection:
                ours = connection.execute("SELECT to_regclass('public.job')").fetchone()
        if ours is None or ours[0] is None:
            self.stop()
            raise ClusterError(
                f"{self.files} is a PostgreSQL database, but none of Modest Rotor's. Nothing was changed or removed. Choose another"
                f" directory with --data, or move it aside:  {self._move_aside()}"
            )
        self._write_mark(self.files)

    # -- running it ----------------------------------------------------------------------------------------------------

    def _make_room(self) -> Path:
        """Where the socket lies: in the data directory, or beside temporary files where that has too long or odd a name."""
        room = self.directory / "socket"
        if len(str(room)) <= LONGEST_SOCKET and PLAIN_PATH.fullmatch(str(room)):
            room.mkdir(mode=0o700, exist_ok=True)
        elif self.socket.parent == Path("/tmp") and self.socket.is_dir():
            room = self.socket
        else:
            room = Path(tempfile.mkdtemp(prefix="modest-rotor-", dir="/tmp"))
        self._give_to_server(room)
        return room

    def _launch(self, room: Path | None = None, more: dict[str, str] | None = None) -> None:
        log = self.directory / "postgresql.log"
        log.touch(mode=0o600)
        self._give_to_server(log)
        if room is None:
            room = self.socket = self._make_room()
        settings = SETTINGS | {"unix_socket_directories": str(room)} | (more or {})
        options = " ".join(f"-c {name}={shlex.quote(value)}" for name, value in settings.items())
        done = self._run(
            "pg_ctl", "-D", str(self.files), "-l", str(log), "-w", "-t", str(int(LONGEST_START_S)),
            "-o", f"-p {PORT} {options}", "start", check=False,
        )  # fmt: skip
        if done.returncode:
            last = log.read_text(errors="replace").strip().splitlines()[-3:]
            raise ClusterError("PostgreSQL did not start: " + " / ".join(last or [done.stdout.strip()]))

    def _turn_checksums_on(self) -> None:
        """Data that were made without checksums get them, once, while nothing runs."""
        told = self._run("pg_controldata", "-D", str(self.files), check=False).stdout
        off = re.search(r"^Data page checksum version: +0$", told, re.M)
        if off and re.search(r"^Database cluster state: +shut down$", told, re.M):
            log.info("Turning on the checksums of the database.")
            self._run("pg_checksums", "--enable", "-D", str(self.files))

    def _wait_until_it_answers(self) -> None:
        """A server of this directory outlived its application; it may still be recovering."""
        deadline = time.monotonic() + LONGEST_START_S
        while time.monotonic() < deadline and self._postmaster() is not None:
            if self._run("pg_isready", "-q", "-h", str(self.socket), "-p", str(PORT), check=False).returncode == 0:
                return
            time.sleep(0.1)
        raise ClusterError(
            f"The database of {self.directory} runs already, but does not answer within {LONGEST_START_S:.0f} s. Look into"
            f" {self.directory / 'postgresql.log'}."
        )

    def _lock(self) -> _Lock | None:
        """What the server that runs, or ran last, wrote down of itself."""
        try:
            lines = (self.files / "postmaster.pid").read_text(errors="replace").splitlines()
            port = int(lines[3]) if len(lines) > 3 and lines[3].strip().isdigit() else 0
            return _Lock(
                int(lines[0]), lines[1] if len(lines) > 1 else "", port, lines[4].strip() if len(lines) > 4 else ""
            )
        except (OSError, ValueError, IndexError):
            return None

    def _postmaster(self) -> int | None:
        """Process number of a living server of this very directory; a zombie, another program or another's server is none."""
        lock = self._lock()
        if lock is None:
            return None
        try:
            status = Path(f"/proc/{lock.number}/stat").read_text()
            ours = os.path.samefile(f"/proc/{lock.number}/cwd", self.files)
        except OSError:
            return None
        name, _, rest = status.partition("(")[2].rpartition(")")
        return lock.number if ours and name.startswith("postgres") and rest.split()[0] not in "ZX" else None

    def _remove_stale_lock(self) -> None:
        lock = self.files / "postmaster.pid"
        # The socket's own lock names the same process, or that of the directory which this one was copied from.
        for left in (self.directory / "socket").glob(".s.PGSQL.*"):
            left.unlink(missing_ok=True)
        if not lock.exists():
            return
        deadline = time.monotonic() + 10
        # Children of a killed server may still hold its memory for a moment; a new one must wait for them.
        while time.monotonic() < deadline and processes_in(self.files):
            time.sleep(0.1)
        lock.unlink(missing_ok=True)

    def _give_to_server(self, *paths: Path) -> None:
        if self._as_server:
            for path in paths:
                shutil.chown(path, user=self._as_server["user"], group=self._as_server["group"])

    def _run(
        self, program: str, *arguments: str, check: bool = True, programs: Path | None = None
    ) -> subprocess.CompletedProcess[str]:
        # Output goes to a file: the server that pg_ctl leaves behind would keep a pipe open for ever.
        with tempfile.TemporaryFile("w+") as out:
            done = subprocess.run(
                [str((programs or programs_for(self.files)) / program), *arguments],
                stdin=subprocess.DEVNULL,
                stdout=out,
                stderr=out,
                text=True,
                cwd="/",
                env={**os.environ, "LC_ALL": "C.UTF-8"},
                check=False,
                **self._as_server,
            )
            out.seek(0)
            done.stdout = out.read()
        if check and done.returncode:
            raise ClusterError(f"{program} failed: {done.stdout.strip()[-400:]}")
        return done
