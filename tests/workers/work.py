"""What the tests let processes do."""

from __future__ import annotations

import os
import signal
import time

from modest_rotor.core.errors import Refusal


def double(value: int) -> int:
    return 2 * value


def refuse(sentence: str) -> None:
    raise Refusal(sentence, "a field")


def stumble() -> float:
    return 1 / int("0")


def sleep(seconds: float) -> str:
    time.sleep(seconds)
    return "awake"


def spin() -> None:
    while True:
        pass


def take_memory(megabytes: int) -> int:
    return len(bytearray(megabytes * 1_000_000))


def die() -> None:
    os.kill(os.getpid(), signal.SIGKILL)


def cannot_go_over() -> object:
    return lambda: None


def process() -> int:
    return os.getpid()
