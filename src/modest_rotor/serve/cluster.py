"""A private PostgreSQL cluster on loopback, in a directory of its own."""

from __future__ import annotations

import os
import pwd
import secrets
import shutil
import socket
import subprocess
import tempfile
import time
from pathlib import Path
from typing import Any

import psycopg

from modest_rotor.core.errors import ModestRotorError

DATABASE = "modest_rotor"
OWNER = "modest_rotor"
SERVER_USER = "postgres"
READY = "modest-rotor-ready"
LONGEST_START_S = 60.0
FAST_SETTINGS = {"fsync": "off", "synchronous_commit": "off", "full_page_writes": "off"}


class ClusterError(ModestRotorError):
    """PostgreSQL could not be installed, created or started; the sentence says what to do."""


class Cluster:
    """One PostgreSQL cluster: created, started, watched, stopped.

    :param directory: where its files live; made when missing.
    :param fast: give up crash safety for speed; for tests only.
    """

    def __init__(self, directory: Path, fast: bool = False) -> None:
        self.directory = directory.resolve()
        self.files = self.directory / "cluster"
        self.fast = fast
        self.port = 0
        self.programs = _programs()
        self._as_server: dict[str, Any] = _server_identity()

    @property
    def parameters(self) -> dict[str, Any]:
        """How to connect to the application's database."""
        return {
            "dbname": DATABASE,
            "host": "127.0.0.1",
            "port": self.port,
            "user": OWNER,
            "password": (self.directory / "password").read_text().strip(),
        }

    def start(self) -> None:
        """Create the cluster if it is new, start it if it does not run, make the application's database."""
        self._create()
        running = self._running_port()
        if running:
            self.port = running
        else:
            self.port = self.port or free_port()
            self._remove_stale_lock()
            self._launch()
        self._make_database()

    def stop(self) -> None:
        """Stop the server; nothing happens if it does not run."""
        if self._postmaster():
            self._run("pg_ctl", "-D", str(self.files), "-m", "fast", "-w", "stop", check=False)

    def is_alive(self) -> bool:
        """Whether the server's first process is alive."""
        return self._postmaster() is not None

    def _create(self) -> None:
        if (self.files / READY).exists():
            return
        self._prepare_directory()
        if self.files.exists():  # a first start that was cut short
            shutil.rmtree(self.files)
        self.files.mkdir(mode=0o700)
        password = self.directory / "password"
        password.touch(mode=0o600)
        password.write_text(secrets.token_urlsafe(24))
        self._give_to_server(self.files, password)
        self._run(
            "initdb", "-D", str(self.files), "-U", OWNER, "-A", "scram-sha-256", f"--pwfile={password}",
            "--encoding=UTF8", "--locale=C.UTF-8", *([] if not self.fast else ["--no-sync"]),
        )  # fmt: skip
        settings = {"listen_addresses": "'127.0.0.1'", "unix_socket_directories": "''", "max_connections": "60"}
        settings |= FAST_SETTINGS if self.fast else {}
        with (self.files / "postgresql.conf").open("a") as file:
            file.writelines(f"{name} = {value}\n" for name, value in settings.items())
        (self.files / READY).touch()

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

    def _launch(self) -> None:
        log = self.directory / "postgresql.log"
        log.touch(mode=0o600)
        self._give_to_server(log)
        done = self._run(
            "pg_ctl",
            "-D",
            str(self.files),
            "-l",
            str(log),
            "-w",
            "-t",
            str(int(LONGEST_START_S)),
            "-o",
            f"-p {self.port}",
            "start",
            check=False,
        )
        if done.returncode:
            last = log.read_text(errors="replace").strip().splitlines()[-3:]
            raise ClusterError("PostgreSQL did not start: " + " / ".join(last or [done.stdout.strip()]))

    def _make_database(self) -> None:
        parameters = {**self.parameters, "dbname": "postgres"}
        with psycopg.connect(**parameters, autocommit=True, connect_timeout=10) as connection:
            if not connection.execute("SELECT 1 FROM pg_database WHERE datname = %s", (DATABASE,)).fetchone():
                connection.execute(f'CREATE DATABASE "{DATABASE}"')

    def _running_port(self) -> int | None:
        """The port of a server of this directory that outlived its application, once it answers."""
        if self._postmaster() is None:
            return None
        deadline = time.monotonic() + LONGEST_START_S
        while time.monotonic() < deadline and self._postmaster() is not None:
            lines = (self.files / "postmaster.pid").read_text().splitlines()
            if len(lines) >= 4 and self._answers(int(lines[3])):
                return int(lines[3])
            time.sleep(0.1)
        return None

    def _answers(self, port: int) -> bool:
        return self._run("pg_isready", "-q", "-h", "127.0.0.1", "-p", str(port), check=False).returncode == 0

    def _postmaster(self) -> int | None:
        """Process number of a living server of this directory; a zombie or another program does not count."""
        try:
            number = int((self.files / "postmaster.pid").read_text().splitlines()[0])
            status = Path(f"/proc/{number}/stat").read_text()
        except (OSError, ValueError, IndexError):
            return None
        name, _, rest = status.partition("(")[2].rpartition(")")
        return number if name.startswith("postgres") and rest.split()[0] not in "ZX" else None

    def _remove_stale_lock(self) -> None:
        lock = self.files / "postmaster.pid"
        if not lock.exists():
            return
        deadline = time.monotonic() + 10
        # Children of a killed server may still hold its memory for a moment; a new one must wait for them.
        while time.monotonic() < deadline and _processes_of(self.files):
            time.sleep(0.1)
        lock.unlink(missing_ok=True)

    def _give_to_server(self, *paths: Path) -> None:
        if self._as_server:
            for path in paths:
                shutil.chown(path, user=self._as_server["user"], group=self._as_server["group"])

    def _run(self, program: str, *arguments: str, check: bool = True) -> subprocess.CompletedProcess[str]:
        # Output goes to a file: the server that pg_ctl leaves behind would keep a pipe open for ever.
        with tempfile.TemporaryFile("w+") as out:
            done = subprocess.run(
                [str(self.programs / program), *arguments],
                stdin=subprocess.DEVNULL,
                stdout=out,
                stderr=out,
                text=True,
                cwd="/",
                check=False,
                **self._as_server,
            )
            out.seek(0)
            done.stdout = out.read()
        if check and done.returncode:
            raise ClusterError(f"{program} failed: {done.stdout.strip()[-400:]}")
        return done


def free_port() -> int:
    """A port on loopback that is free now."""
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        return int(probe.getsockname()[1])


def _programs() -> Path:
    found = sorted(Path("/usr/lib/postgresql").glob("*/bin/initdb"), key=lambda path: int(path.parts[-3]))
    if not found:
        raise ClusterError(
            "PostgreSQL is not installed. Run ./start, which installs it, or: apt-get install postgresql"
        )
    return found[-1].parent


def _server_identity() -> dict[str, Any]:
    """PostgreSQL refuses to run as root, so root runs it as the user that Debian's package made for it."""
    if os.geteuid() != 0:
        return {}
    try:
        user = pwd.getpwnam(SERVER_USER)
    except KeyError as error:
        raise ClusterError(
            f"There is no user “{SERVER_USER}”. Debian's package postgresql makes it; install that."
        ) from error
    return {"user": user.pw_uid, "group": user.pw_gid, "extra_groups": []}


def _processes_of(files: Path) -> list[int]:
    """Living processes that work in the cluster's directory."""
    found = []
    for entry in Path("/proc").iterdir():
        if entry.name.isdigit():
            try:
                if os.readlink(entry / "cwd") == str(files):
                    found.append(int(entry.name))
            except OSError:
                continue
    return found
