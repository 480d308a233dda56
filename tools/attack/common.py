"""What the attacks share: a client that counts, a row of the table, and how a running application is asked."""

from __future__ import annotations

import http.client
import json
import sys
import threading
import time
import uuid
from collections import Counter
from dataclasses import dataclass, field
from pathlib import Path
from typing import Any

sys.path.insert(0, str(Path(__file__).resolve().parents[2]))

from tests.running import Application

LONGEST_WAIT_S = 5.0
AWAY = (502, 503)


@dataclass(frozen=True)
class Row:
    """One line of the table: what was attacked, how much, what was found, and whether that is what was promised."""

    attack: str
    done: str
    found: str
    holds: bool


@dataclass
class Seen:
    """What a client met: statuses, the longest wait, answers of 500 and more that nothing excuses."""

    statuses: Counter[int] = field(default_factory=Counter)
    longest_s: float = 0.0
    waits: list[float] = field(default_factory=list)
    faults: list[str] = field(default_factory=list)
    lock: threading.Lock = field(default_factory=threading.Lock)

    def note(self, status: int, seconds: float, what: str, text: str) -> None:
        """Note an answer."""
        with self.lock:
            self.statuses[status] += 1
            self.longest_s = max(self.longest_s, seconds)
            self.waits.append(seconds)
            if status >= 500 and status not in AWAY:
                self.faults.append(f"{status} {what}: {text[:160]}")

    def percentile(self, share: float) -> float:
        """The wait that a share of all answers stayed under, s."""
        ordered = sorted(self.waits)
        return ordered[min(int(share * len(ordered)), len(ordered) - 1)] if ordered else 0.0


class Client:
    """One connection kept open; gives status and JSON, or 0 where nothing answers."""

    def __init__(self, application: Application, seen: Seen) -> None:
        self.application, self.seen = application, seen
        self._connection: http.client.HTTPConnection | None = None

    def call(
        self, method: str, path: str, body: Any = None, command: str | None = None, raw: bytes | None = None
    ) -> tuple[int, Any]:
        """Ask once; a refused or broken connection is status 0."""
        headers = {"content-type": "application/json"} | ({"idempotency-key": command} if command else {})
        data = raw if raw is not None else None if body is None else json.dumps(body).encode("utf-8", "surrogatepass")
        begun = time.monotonic()
        try:
            if self._connection is None:
                self._connection = http.client.HTTPConnection("127.0.0.1", self.application.port, timeout=30)
            self._connection.request(method, path, data, headers)
            answer = self._connection.getresponse()
            text = answer.read()
            status = answer.status
        except (OSError, http.client.HTTPException):
            if self._connection:
                self._connection.close()
            self._connection = None
            return 0, None
        self.seen.note(status, time.monotonic() - begun, f"{method} {path[:120]}", text[:400].decode(errors="replace"))
        try:
            return status, json.loads(text) if text else None
        except ValueError:
            return status, text

    def save(self, job: int, path: str, text: str, command: str | None = None) -> tuple[int, Any]:
        """Save one value on the job as it now is."""
        status, head = self.call("GET", f"/api/jobs/{job}")
        if status != 200:
            return status, head
        body = {"revision": head["revision"], "path": path, "text": text, "units": "si"}
        return self.call("POST", f"/api/jobs/{job}/changes", body, command or uuid.uuid4().hex)


def begin(client: Client, name: str) -> int:
    """A new job; its number."""
    status, view = client.call("POST", "/api/jobs", {"machine_name": name})
    assert status == 201, view
    return int(view["id"])


def together(work: list[Any]) -> None:
    """Do everything at once, and wait for all."""
    threads = [threading.Thread(target=one) for one in work]
    for thread in threads:
        thread.start()
    for thread in threads:
        thread.join()
