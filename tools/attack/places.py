"""The directory copied, filled and frozen under it."""

from __future__ import annotations

import os
import shutil
import signal
import subprocess
import tempfile
import time
from pathlib import Path

from tests.running import Application

from tools.attack.common import LONGEST_WAIT_S, Client, Row, Seen, begin, together


def copies(application: Application) -> Row:
    """A directory copied while it runs and started elsewhere neither uses nor stops the original."""
    client = Client(application, Seen())
    job = begin(client, "Original")
    copy = Path(tempfile.mkdtemp(prefix="modest-rotor-copy-", dir="/var/tmp"))
    subprocess.run(["cp", "-a", f"{application.data}/.", str(copy)], check=False)
    (copy / "lock").unlink(missing_ok=True)
    twin = Application(data=copy)
    twin.start(wait=False)
    assert twin.process
    code = twin.process.wait(60)
    refused = code == 1 and "copied or moved while its database ran" in twin.output()
    alive = client.save(job, "call/notes", "still here")[0] == 200
    twin.remove()
    found = f"{'refused in words' if refused else 'not refused'}, the original {'goes on' if alive else 'was stopped'}"
    return Row("directory copied while it runs", "1 copy started", found, refused and alive)


def frozen(application: Application, seconds: float) -> list[Row]:
    """The database stands still: pages and health come, everything else is told so in time."""
    seen, pages = Seen(), Seen()
    numbers = application.database_processes()
    for number in numbers:
        os.kill(number, signal.SIGSTOP)
    until = time.monotonic() + seconds
    try:

        def ask(which: Seen, *paths: str) -> None:
            client = Client(application, which)
            while time.monotonic() < until:
                for path in paths:
                    client.call("GET", path)

        together(
            [lambda: ask(pages, "/", "/api/health")]
            + [lambda: ask(seen, "/api/board", "/api/jobs/1", "/api/catalogue")] * 10
        )
    finally:
        for number in numbers:
            os.kill(number, signal.SIGCONT)
    application.wait_until_it_answers()
    return [
        Row("database frozen: pages, health", f"{len(pages.waits):,} answers", f"longest {pages.longest_s:.1f} s", pages.longest_s < LONGEST_WAIT_S),
        Row("database frozen: everything else", f"{len(seen.waits):,} answers", f"longest {seen.longest_s:.1f} s", seen.longest_s < LONGEST_WAIT_S),
    ]  # fmt: skip


def full_disk() -> Row:
    """The disk runs full under it: words, nothing lost, and it goes on once there is room."""
    place = Path(tempfile.mkdtemp(prefix="modest-rotor-disk-", dir="/var/tmp"))
    if subprocess.run(
        ["mount", "-t", "tmpfs", "-o", "size=220m,mode=755", "tmpfs", str(place)], check=False
    ).returncode:
        return Row("disk full", "no small file system could be mounted here", "not tried", True)
    application = Application("--no-demo", data=place)
    seen = Seen()
    saved: list[str] = []
    try:
        application.start()
        client = Client(application, seen)
        job = begin(client, "Fan")
        ballast = place / "ballast"
        with ballast.open("wb") as file:
            try:
                while True:
                    file.write(b"x" * 1_000_000)
                    file.flush()
            except OSError:
                pass
        refused = 0
        for count in range(60):
            status, _ = client.save(job, "call/notes", f"note {count} {'y' * 900}")
            if status == 200:
                saved.append(f"note {count} {'y' * 900}")
            else:
                refused += 1
        ballast.unlink()
        deadline = time.monotonic() + 60
        while time.monotonic() < deadline and client.save(job, "call/notes", "room again")[0] != 200:
            time.sleep(0.5)
        _, changes = client.call("GET", f"/api/jobs/{job}/changes")
        kept = {one["after"] for one in changes}
        lost = sum(text not in kept for text in saved)
        back = "room again" in kept
        found = f"{lost} lost, {'goes on' if back else 'does not come back'}, {len(seen.faults)} faults"
        return Row(
            "disk full", f"{len(saved)} saved, {refused} refused in words", found, not lost and back and not seen.faults
        )
    finally:
        application.remove()
        subprocess.run(["umount", str(place)], check=False)
        shutil.rmtree(place, ignore_errors=True)
