"""What grows: the Board with its jobs, a save with the history and with the sets, a logger's file with its length.

``python benchmarks/load.py`` on a quiet machine; it begins an application of its own on a throwaway directory.
"""

from __future__ import annotations

import json
import statistics
import sys
import time
import urllib.request
from pathlib import Path
from typing import Any

import psycopg
from psycopg.types.json import Jsonb

sys.path.insert(0, str(Path(__file__).resolve().parents[1]))

from tests.running import Application

from benchmarks.scale import few
from modest_rotor.serve.cluster import DATABASE, Cluster

JOBS, CHANGES, SETS, TIMES = few(2_000, 20), few(20_000, 20), few(60, 6), few(9, 2)
LOG_BYTES = few(7_900_000, 40_000)


def timed(application: Application, method: str, path: str, body: Any = None) -> tuple[float, Any]:
    """One request: ms, and its answer."""
    data = json.dumps(body).encode() if body is not None else None
    request = urllib.request.Request(
        application.address + path, data, {"content-type": "application/json"}, method=method
    )
    begun = time.perf_counter()
    with urllib.request.urlopen(request, timeout=120) as answer:
        text = answer.read()
    return 1e3 * (time.perf_counter() - begun), json.loads(text)


def saves(application: Application, job: int, path: str, texts: list[str]) -> float:
    """Median of some saves, ms."""
    found = []
    for text in texts:
        revision = timed(application, "GET", f"/api/jobs/{job}")[1]["revision"]
        body = {"revision": revision, "path": path, "text": text, "units": "si"}
        found.append(timed(application, "POST", f"/api/jobs/{job}/changes", body)[0])
    return statistics.median(found)


def many_jobs(application: Application, connection: psycopg.Connection[Any]) -> None:
    """The Board of two thousand jobs."""
    connection.execute(
        "WITH one AS (SELECT * FROM job WHERE id = 1), more AS (INSERT INTO machine (site_id, document, revision) SELECT m.site_id,"
        " m.document, 1 FROM machine m, generate_series(1, %s) WHERE m.id = 1 RETURNING id) INSERT INTO job (machine_id, document,"
        " revision, began, saved, summary, summary_key) SELECT more.id, one.document, one.revision, one.began, one.saved, one.summary,"
        " one.summary_key FROM more, one",
        (JOBS,),
    )
    looks = [timed(application, "GET", "/api/board")[0] for _ in range(TIMES)]
    print(
        f"the Board of {JOBS:,} jobs: first {looks[0]:.0f} ms, median {statistics.median(looks):.0f}, longest {max(looks):.0f} (300 wanted)"
    )


def long_history(application: Application, connection: psycopg.Connection[Any]) -> None:
    """A save with and without twenty thousand changes behind it."""
    job = timed(application, "POST", "/api/jobs", {"machine_name": "Historic"})[1]["id"]
    short = saves(application, job, "call/notes", [f"a {n}" for n in range(TIMES)])
    connection.execute(
        "INSERT INTO change (job_id, path, label, before, after, who, at, kind, revision) SELECT %s, 'call/notes', 'Notes', %s, %s, '',"
        " now(), 'edit', 100000 + n FROM generate_series(1, %s) n",
        (job, Jsonb("a"), Jsonb("b"), CHANGES),
    )
    long = saves(application, job, "call/notes", [f"b {n}" for n in range(TIMES)])
    print(
        f"a save after 10 and after {CHANGES:,} changes: {short:.0f} and {long:.0f} ms, ratio {long / short:.2f} (flat wanted)"
    )


def many_sets(application: Application) -> None:
    """Sixty sets typed into one job, one after another."""
    job = timed(application, "POST", "/api/jobs", {"machine_name": "Sixty"})[1]["id"]
    plate = {
        "rated_power": "370 W",
        "rated_voltage": "230 V",
        "rated_current": "2.6 A",
        "rated_speed": "1380 rpm",
        "frequency": "50 Hz",
        "run_capacitance": "10 µF",
    }
    for field, text in plate.items():
        saves(application, job, f"nameplate/{field}", [text])
    found = []
    view = timed(application, "GET", f"/api/jobs/{job}")[1]
    for number in range(1, SETS + 1):
        view = timed(application, "POST", f"/api/jobs/{job}/items/readings", {"revision": view["revision"]})[1]
        for field, text in (("current", f"{2 + 0.01 * number:.2f} A"), ("speed", f"{1400 - number} rpm")):
            # As the page does it: each save rests on the revision that the one before it made.
            body = {"revision": view["revision"], "path": f"readings/s{number}/{field}", "text": text, "units": "si"}
            ms, view = timed(application, "POST", f"/api/jobs/{job}/changes", body)
            found.append((number, ms))
    first = statistics.median(ms for number, ms in found if number <= 5)
    last = statistics.median(ms for number, ms in found if number > SETS - 5)
    print(f"a save with 5 and with {SETS} sets: {first:.0f} and {last:.0f} ms (200 wanted)")


def large_log(application: Application) -> None:
    """An honest logger's file of nearly eight megabytes, in both forms of its stamps."""
    for form, stamp in (("2026-01-01 00:00", "%Y-%m-%d %H:%M:%S"), ("01/13/2026 12:00 AM", "%m/%d/%Y %I:%M:%S %p")):
        begun = time.mktime((2026, 1, 13, 0, 0, 0, 0, 0, 0))
        rows, size, lines = 0, 0, ["time,watts"]
        while size < LOG_BYTES:
            line = f"{time.strftime(stamp, time.localtime(begun + 60 * rows))},{400 + rows % 97}.{rows % 10}"
            size += len(line) + 1
            rows += 1
            lines.append(line)
        ms, _ = timed(application, "POST", "/api/duty/log/look", {"text": "\n".join(lines)})
        print(f"a logger's file of {size / 1e6:.1f} MB, {rows:,} rows like {form}: {ms / 1e3:.2f} s (3 wanted)")


def main() -> None:
    """Begin, measure, end."""
    application = Application().start()
    try:
        cluster = Cluster(application.data)
        parameters = cluster.operator_parameters | {"dbname": DATABASE}
        with psycopg.connect(**parameters, autocommit=True) as connection:
            large_log(application)
            many_sets(application)
            long_history(application, connection)
            many_jobs(application, connection)
    finally:
        application.remove()


if __name__ == "__main__":
    main()
