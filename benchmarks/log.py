"""Ten thousand readings of one machine: how long they take at the server and until they are drawn in a browser.

``python -m benchmarks.log`` after the front end was built, on a quiet machine. Wanted is under one second from asking for the page's
data to the drawn pictures.
"""

from __future__ import annotations

import json
import statistics
import sys
import time
import urllib.request
from datetime import UTC, datetime, timedelta
from pathlib import Path

import numpy as np

ROOT = Path(__file__).resolve().parents[1]
sys.path.insert(0, str(ROOT))

from tests.core.setup.test_setup_answer import HALL  # noqa: E402

from benchmarks.browser import screen_with  # noqa: E402
from benchmarks.scale import few  # noqa: E402

READINGS, TIMES = few(10_000, 200), few(7, 1)


def a_file() -> str:
    """Ten thousand rows of fourteen months, with noise and a season."""
    rng = np.random.default_rng(11)
    first = datetime.now(UTC) - timedelta(days=420)
    rows = ["time,volts V,amps A,watts W,speed rpm,static Pa,airflow L/s,air °C"]
    for place in range(READINGS):
        at = first + timedelta(minutes=60 * place)
        air = 15 + 8 * np.sin(2 * np.pi * place / 8760)
        values = np.array([401, 3.05, 1590, 1444, 385, 2095]) * np.exp(rng.normal(0, 0.01, 6))
        rows.append(f"{at:%Y-%m-%d %H:%M}," + ",".join(f"{value:.5g}" for value in (*values, air)))
    return "\n".join(rows)


def main() -> None:
    """Bring the file, ask, draw, print."""
    with screen_with(HALL) as (screen, job):
        view = json.loads(_get(f"{screen.address}/api/jobs/{job}"))
        log = f"{screen.address}/api/machines/{view['machine_id']}/log"
        body = json.dumps({"text": a_file(), "source": "panel"}).encode()
        began = time.perf_counter()
        urllib.request.urlopen(urllib.request.Request(f"{log}/csv", body, {"content-type": "application/json"})).read()
        print(f"{READINGS:,} rows looked at, kept and judged: {time.perf_counter() - began:.2f} s")
        cold, drawn = [], []
        for place in range(TIMES):
            reading = {"values": {"speed": "1444 rpm"}, "at": f"2026-01-0{place + 1} 03:17", "who": "benchmark"}
            request = urllib.request.Request(
                f"{log}/readings", json.dumps(reading).encode(), {"content-type": "application/json"}
            )
            began = time.perf_counter()
            urllib.request.urlopen(request).read()  # one more reading: everything is read and judged anew
            cold.append(1000 * (time.perf_counter() - began))
            screen.go(f"/jobs/{job}/log", "Log")
            screen.until(lambda: screen.run("return document.querySelectorAll('[data-series] svg').length >= 6"))
            drawn.append(screen.run(DRAWN))
        print(f"one more kept, all read and judged anew, at the server: {statistics.median(cold):.0f} ms")
        print(
            f"in the browser, from asking for the log to the drawn pictures: {statistics.median(drawn):.0f} ms, worst {max(drawn):.0f}"
        )


DRAWN = """
const asked = performance.getEntriesByType('resource').find((one) => /machines.\\d+.log$/.test(one.name));
return performance.now() - asked.startTime;
"""


def _get(address: str) -> bytes:
    with urllib.request.urlopen(address) as answer:
        return bytes(answer.read())


if __name__ == "__main__":
    main()
