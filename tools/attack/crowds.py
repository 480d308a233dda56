"""Many at once: typists, editors of one job, files and pictures, calls of any shape, memory over minutes."""

from __future__ import annotations

import io
import itertools
import random
import threading
import time
import uuid
from pathlib import Path
from typing import Any

from PIL import Image
from tests.running import Application

from tools.attack.common import LONGEST_WAIT_S, Client, Row, Seen, begin, together

NASTY_TEXT = (
    "",
    "0",
    "-1",
    "1e308",
    "x" * 5000,
    "\0",
    "\udfff",
    "=1+1",
    "½ hp",
    "NaN",
    "../../etc/passwd",
    "<script>",
    " " * 900,
    "1-1" * 400,
)
NASTY_NUMBERS = (0, -1, 1, 7, 1e-9, 1e9, 2**53, 10**30, 0.5)


def typists(application: Application, people: int, seconds: float) -> Row:
    """Twenty people type at once, each a key as soon as the last look is answered, in the heaviest demo jobs."""
    seen = Seen()
    until = time.monotonic() + seconds

    def one(number: int) -> None:
        client, rng, window = Client(application, seen), random.Random(number), f"window-{number}"
        job = 1 + number % 9
        while time.monotonic() < until:
            text = f"{rng.uniform(1, 9):.2f}"
            for end in range(1, len(text) + 1):
                body = {"path": "readings/s1/current", "text": text[:end], "units": "si", "window": window}
                client.call("POST", f"/api/jobs/{job}/preview", body)
                time.sleep(rng.uniform(0.1, 0.3))

    together([lambda number=number: one(number) for number in range(people)])
    p95 = seen.percentile(0.95)
    found = f"median {seen.percentile(0.5):.2f} s, 95 % {p95:.2f} s, longest {seen.longest_s:.2f} s"
    return Row(f"{people} typists", f"{len(seen.waits):,} looks at drafts", found, p95 < 1.0 and not seen.faults)


def editors(application: Application, people: int, each: int) -> Row:
    """Fifty people edit one job: every edit that was taken stands in the history once, in one order."""
    seen = Seen()
    job = begin(Client(application, seen), "One for all")
    taken: list[str] = []

    def one(number: int) -> None:
        client = Client(application, seen)
        for count in range(each):
            text = f"{number}.{count}"
            for _ in range(40):
                status, _ = client.save(job, "call/notes", text, uuid.uuid4().hex)
                if status == 200:
                    taken.append(text)
                    break
                time.sleep(0.05)

    together([lambda number=number: one(number) for number in range(people)])
    _, changes = Client(application, seen).call("GET", f"/api/jobs/{job}/changes")
    kept = [change["after"] for change in changes]
    lost = [text for text in taken if kept.count(text) != 1]
    chained = all(after["before"] == before["after"] for before, after in itertools.pairwise(changes))
    found = f"{len(lost)} lost or doubled, {'one chain' if chained else 'BROKEN CHAIN'}, longest {seen.longest_s:.1f} s"
    return Row(
        f"{people} editors of one job",
        f"{len(taken):,} edits",
        found,
        not lost and chained and not seen.faults and seen.longest_s < LONGEST_WAIT_S,
    )


def files(application: Application) -> Row:
    """Files that stopped the server once, and twelve pictures of many pixels at once, while somebody else looks at the Board."""
    seen, others, stopping = Seen(), Seen(), threading.Event()
    heading = "a" + " " * 3200 + "b,watts\n2026-01-01 00:00,1\n"
    stamps = "time,watts\n" + "1-1" * 10_000 + ",1\n"
    out = io.BytesIO()
    Image.new("1", (7_700, 7_700)).save(out, "PNG")

    def look() -> None:
        client = Client(application, others)
        while not stopping.is_set():
            client.call("GET", "/api/board")
            time.sleep(0.05)

    watching = threading.Thread(target=look)
    watching.start()
    texts = [
        ("/api/duty/log/look", heading),
        ("/api/log/look", heading),
        ("/api/duty/log/look", stamps),
        ("/api/log/look", stamps),
    ]
    together(
        [
            lambda path=path, text=text: Client(application, seen).call("POST", path, {"text": text})
            for path, text in texts * 2
        ]
        + [lambda: Client(application, seen).call("POST", "/api/jobs/1/photos", raw=out.getvalue())] * 12
    )
    stopping.set()
    watching.join()
    found = f"longest {seen.longest_s:.1f} s; the Board beside it at most {others.longest_s:.1f} s"
    return Row(
        "files and pictures",
        f"{len(seen.waits)} sent",
        found,
        others.longest_s < LONGEST_WAIT_S and not seen.faults and not others.faults,
    )


def calls(application: Application, most: int, seconds: float) -> Row:
    """Calls of any shape, drawn from the API's own description."""
    seen = Seen()
    description = application.get("/api/openapi.json")
    operations = [
        (method.upper(), path, one) for path, methods in description["paths"].items() for method, one in methods.items()
    ]
    schemas = description["components"]["schemas"]
    until, left = time.monotonic() + seconds, [most]

    def one(number: int) -> None:
        client, rng = Client(application, seen), random.Random(number)
        while time.monotonic() < until and left[0] > 0:
            left[0] -= 1
            method, path, operation = rng.choice(operations)
            address, query = path, []
            for parameter in operation.get("parameters", ()):
                value = rng.choice(("1", "2", "9", "0", "-1", "s1", "x", "%00", "a" * 300, "999999999999999999999"))
                if parameter["in"] == "path":
                    address = address.replace("{" + parameter["name"] + "}", value)
                elif rng.random() < 0.5:
                    query.append(f"{parameter['name']}={value}")
            content = operation.get("requestBody", {}).get("content", {})
            schema = content.get("application/json", {}).get("schema")
            body = drawn(schema, schemas, rng, 0) if schema is not None else None
            client.call(method, address + ("?" + "&".join(query) if query else ""), body)

    together([lambda number=number: one(number) for number in range(8)])
    for fault in sorted(set(seen.faults))[:15]:
        print("   ", fault)
    found = f"{len(seen.faults)} of 500 and more, longest {seen.longest_s:.1f} s"
    return Row(
        "calls of any shape", f"{len(seen.waits):,} calls", found, not seen.faults and seen.longest_s < LONGEST_WAIT_S
    )


def drawn(schema: dict[str, Any], schemas: dict[str, Any], rng: random.Random, depth: int) -> Any:
    """Something that a schema allows, or nearly."""
    if "$ref" in schema:
        schema = schemas[schema["$ref"].rsplit("/", 1)[-1]]
    if rng.random() < 0.04 or depth > 7:
        return rng.choice((None, 7, "x", [], {}, True))
    for several in ("anyOf", "oneOf", "allOf"):
        if several in schema:
            return drawn(rng.choice(schema[several]), schemas, rng, depth + 1)
    if "enum" in schema:
        return rng.choice(schema["enum"])
    if "const" in schema:
        return schema["const"]
    return _of_type(schema, schemas, rng, depth)


def _of_type(schema: dict[str, Any], schemas: dict[str, Any], rng: random.Random, depth: int) -> Any:
    kind = schema.get("type")
    if kind == "object":
        wanted = set(schema.get("required", ()))
        return {
            name: drawn(part, schemas, rng, depth + 1)
            for name, part in schema.get("properties", {}).items()
            if name in wanted or rng.random() < 0.3
        }
    if kind == "array":
        return [drawn(schema.get("items", {}), schemas, rng, depth + 1) for _ in range(rng.randrange(3))]
    if kind in ("number", "integer"):
        return rng.choice(NASTY_NUMBERS)
    return rng.random() < 0.5 if kind == "boolean" else rng.choice(NASTY_TEXT)


def memory(application: Application, seconds: float) -> Row:
    """Steady work: the server and its solvers do not grow without end."""
    seen, until = Seen(), time.monotonic() + seconds

    def one(number: int) -> None:
        client, rng = Client(application, seen), random.Random(number)
        job = begin(client, f"Steady {number}")
        while time.monotonic() < until:
            client.save(job, "call/notes", str(rng.random()))
            client.call("GET", "/api/board")
            client.call(
                "POST",
                f"/api/jobs/{1 + number}/preview",
                {
                    "path": "readings/s1/current",
                    "text": f"{rng.uniform(1, 9):.3f}",
                    "units": "si",
                    "window": f"m{number}",
                },
            )

    half = threading.Timer(seconds / 2, lambda: marks.append(resident_mb(application)))
    marks: list[float] = []
    half.start()
    together([lambda number=number: one(number) for number in range(4)])
    half.join()
    end = resident_mb(application)
    grown = end - marks[0]
    return Row(
        "memory",
        f"{len(seen.waits):,} answers in {seconds:.0f} s",
        f"{end:.0f} MB, {grown:+.0f} MB in the second half",
        grown < 0.25 * marks[0],
    )


def resident_mb(application: Application) -> float:
    """Memory of the server and every process it began, MB."""
    assert application.process
    parents: dict[int, int] = {}
    sizes: dict[int, float] = {}
    for entry in Path("/proc").iterdir():
        if entry.name.isdigit():
            try:
                fields = (entry / "stat").read_text().rsplit(")", 1)[1].split()
                parents[int(entry.name)] = int(fields[1])
                sizes[int(entry.name)] = int((entry / "statm").read_text().split()[1]) * 4096 / 1e6
            except (OSError, IndexError):
                continue
    ours = {application.process.pid}
    while more := {number for number, parent in parents.items() if parent in ours} - ours:
        ours |= more
    return sum(sizes.get(number, 0.0) for number in ours)
