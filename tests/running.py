"""The whole application as a process of its own, as ./start runs it once everything is installed."""

from __future__ import annotations

import json
import os
import shutil
import signal
import socket
import subprocess
import sys
import tempfile
import time
import urllib.request
from contextlib import suppress
from pathlib import Path


def free_port() -> int:
    """A port on loopback that is free now."""
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        return int(probe.getsockname()[1])


LONGEST_START_S = 120.0
# Without its compiled modules every start would compile them all again.
WITH_BYTECODE = {**os.environ, "PYTHONDONTWRITEBYTECODE": ""}


class Application:
    """Started on a data directory, asked over HTTP, stopped or killed."""

    def __init__(
        self,
        *arguments: str,
        data: Path | None = None,
        port: int | None = None,
        module: str = "modest_rotor.serve",
    ) -> None:
        self.module = module
        self.data = data or Path(tempfile.mkdtemp(prefix="modest-rotor-app-", dir="/var/tmp"))
        self.data.chmod(0o755)
        self.port = port or free_port()
        self.arguments = arguments
        self.log = Path(tempfile.mkdtemp(prefix="modest-rotor-log-")) / "log"
        self.process: subprocess.Popen[bytes] | None = None

    @property
    def address(self) -> str:
        """Where it serves."""
        return f"http://127.0.0.1:{self.port}"

    def start(self, wait: bool = True) -> Application:
        """Start it, and wait until it answers."""
        command = [sys.executable, "-m", self.module, "--port", str(self.port), "--data", str(self.data)]
        with self.log.open("a") as log:
            self.process = subprocess.Popen(
                [*command, *self.arguments],
                stdout=log,
                stderr=subprocess.STDOUT,
                start_new_session=True,
                env=WITH_BYTECODE,
            )
        if wait:
            self.wait_until_it_answers()
        return self

    def runs(self) -> bool:
        """Whether its first process is there."""
        return self.process is not None and self.process.poll() is None

    def wait_until_it_answers(self) -> None:
        """Until the database answers too."""
        deadline = time.monotonic() + LONGEST_START_S
        while time.monotonic() < deadline:
            if self.get("/api/health", quiet=True).get("database"):
                return
            if self.process and self.process.poll() is not None:
                raise AssertionError(f"it ended: {self.output()}")
            time.sleep(0.1)
        raise AssertionError("it did not answer in time")

    def get(self, path: str, quiet: bool = False) -> dict:
        """The JSON at a path; empty when it does not answer and that was to be expected."""
        try:
            with urllib.request.urlopen(self.address + path, timeout=30) as answer:
                return json.load(answer)
        except OSError:
            if quiet:
                return {}
            raise

    def post(self, path: str, body: dict) -> dict:
        """The answer to a posted JSON body."""
        request = urllib.request.Request(
            self.address + path, json.dumps(body).encode(), {"content-type": "application/json"}, method="POST"
        )
        with urllib.request.urlopen(request, timeout=60) as answer:
            return json.load(answer)

    def stop(self, by: signal.Signals = signal.SIGINT) -> int:
        """End it by a signal to its first process alone; gives its exit code."""
        assert self.process
        self.process.send_signal(by)
        return self.process.wait(LONGEST_START_S)

    def output(self) -> str:
        """What it has printed so far."""
        return self.log.read_text()

    def database_processes(self) -> list[int]:
        """Living PostgreSQL processes of its data directory, the first one first."""
        found = []
        for entry in Path("/proc").iterdir():
            if entry.name.isdigit():
                try:
                    if os.readlink(entry / "cwd") == str(self.data.resolve() / "cluster"):
                        found.append(int(entry.name))
                except OSError:
                    continue
        return sorted(found)

    def kill_database(self) -> None:
        """End every process of its database at once; some end by themselves as soon as the first is gone."""
        for number in self.database_processes():
            with suppress(ProcessLookupError):
                os.kill(number, signal.SIGKILL)

    def remove(self) -> None:
        """End it if it runs, and remove its data."""
        if self.runs():
            self.stop()
        self.kill_database()
        shutil.rmtree(self.data, ignore_errors=True)
        shutil.rmtree(self.log.parent, ignore_errors=True)
