"""Processes killed in the middle of saving: what was answered as saved is there afterwards, and no word was false."""

from __future__ import annotations

import os
import random
import signal
import threading
import time
import uuid

from tests.running import Application

from tools.attack.common import Client, Row, Seen, begin, together

EDITORS = 6


class Editor:
    """Somebody who saves one note after another, each under a name, and remembers what was said of it."""

    def __init__(self, application: Application, number: int, seen: Seen) -> None:
        self.client, self.number = Client(application, seen), number
        self.job = begin(self.client, f"Fan {number}")
        self.saved: list[str] = []
        self.false_words: list[str] = []
        self.said_nothing = 0

    def work(self, stopping: threading.Event) -> None:
        """Until told to stop. An act whose answer was lost is sent again under its own name until it is known."""
        count = 0
        while not stopping.is_set():
            text, command = f"note {self.number}.{count}", uuid.uuid4().hex
            count += 1
            status, told = self.client.save(self.job, "call/notes", text, command)
            if status == 200:
                self.saved.append(text)
            elif isinstance(told, dict) and told.get("saved") == "nothing":
                self.said_nothing += 1
                if self._is_there(command, stopping):
                    self.false_words.append(text)
            elif status != 422 and self._is_there(command, stopping):
                self.saved.append(text)

    def _is_there(self, command: str, stopping: threading.Event) -> bool:
        """Whether the server took a command, once it can be asked."""
        while True:
            status, told = self.client.call("GET", f"/api/commands/{command}")
            if status == 200:
                return bool(told["known"])
            if stopping.is_set() and status == 0:
                return False
            time.sleep(0.2)

    def lost(self) -> list[str]:
        """Notes that were said to be saved and are not in the history."""
        _, changes = self.client.call("GET", f"/api/jobs/{self.job}/changes")
        kept = {one["after"] for one in changes}
        return [text for text in self.saved if text not in kept]


def kills(application: Application, seconds: float) -> list[Row]:
    """Kill the server or the database every few seconds, at odd moments."""
    seen, stopping, rng = Seen(), threading.Event(), random.Random(3)
    editors = [Editor(application, number, seen) for number in range(EDITORS)]
    killed = {"server": 0, "database": 0}

    def killer() -> None:
        until = time.monotonic() + seconds
        while time.monotonic() < until:
            time.sleep(rng.uniform(0.5, 2.5))
            what = rng.choice(("server", "database", "database"))
            if what == "server":
                application.stop(signal.SIGKILL)
                application.start()
            else:
                numbers = application.database_processes()
                if numbers:
                    os.kill(rng.choice(numbers[:1] if rng.random() < 0.5 else numbers), signal.SIGKILL)
            killed[what] += 1
            application.wait_until_it_answers()
        stopping.set()

    together([killer, *(lambda editor=editor: editor.work(stopping) for editor in editors)])
    application.wait_until_it_answers()
    lost = sum(len(editor.lost()) for editor in editors)
    false = sum(len(editor.false_words) for editor in editors)
    saved = sum(len(editor.saved) for editor in editors)
    denied = sum(editor.said_nothing for editor in editors)
    done = f"{killed['server']} kills of the server, {killed['database']} of the database, {saved:,} edits"
    return [
        Row("kill -9: what was saved", done, f"{lost} lost", lost == 0),
        Row("kill -9: “nothing was saved”", f"{denied:,} such answers", f"{false} false", false == 0),
    ]
