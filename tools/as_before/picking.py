"""Which jobs are worth keeping: the few that between them pass the most branches of the core, of all that the tests assess and of many drawn.

A plug-in of pytest (``-p tools.as_before.picking``) gathers every job that the tests ask the core about.
"""

from __future__ import annotations

import functools
import os
import subprocess
import sys
import tempfile
import time
from collections.abc import Callable
from concurrent.futures import ProcessPoolExecutor
from dataclasses import dataclass
from pathlib import Path
from typing import Any

import coverage

from modest_rotor.core import assess
from modest_rotor.core.job import Job
from tools.unchanged import bases, draw

ROOT = Path(__file__).resolve().parents[2]
CORE = ROOT / "src" / "modest_rotor" / "core"
OUT = "JOBS_GATHERED"
DOORS = ("assess", "fit_job", "build_case")
START_S = 0.3
"""What a job costs besides being worked out: it is read, told of, and listed."""
Arc = tuple[str, tuple[int, int]]


@dataclass(frozen=True)
class Worked:
    """A job's text, the branches it passes and the seconds it takes."""

    text: str
    arcs: frozenset[Arc]
    seconds: float


def pytest_configure() -> None:
    """Gather every job that comes through a door of the core, once."""
    place, seen = Path(os.environ[OUT]), set[str]()

    def noting(door: Callable[..., Any]) -> Callable[..., Any]:
        @functools.wraps(door)
        def noted(job: Job, *rest: Any, **named: Any) -> Any:
            if (text := job.model_dump_json()) not in seen:
                seen.add(text)
                with place.open("a", encoding="utf-8") as file:
                    file.write(f"{text}\n")
            return door(job, *rest, **named)

        return noted

    for name in DOORS:
        setattr(assess, name, noting(getattr(assess, name)))


def gathered() -> list[str]:
    """The jobs that the tests of the core ask about, as text."""
    with tempfile.TemporaryDirectory() as scratch:
        place = Path(scratch) / "jobs.jsonl"
        command = [sys.executable, "-m", "pytest", "-q", "-p", "tools.as_before.picking", "-p", "no:cacheprovider",
                   "-m", "not database", "tests/core", "tests/formats"]  # fmt: skip
        subprocess.run(command, cwd=ROOT, env=os.environ | {OUT: str(place)}, check=True)
        return place.read_text(encoding="utf-8").splitlines()


def worked(text: str) -> Worked | None:
    """What a job passes; nothing for one that an ordinary assessment refuses, which other tests hold."""
    from tools.as_before.scenes import told_of_job  # in the child: what is imported before is not measured

    measured = coverage.Coverage(branch=True, source=[str(CORE)], data_file=None)
    started = time.process_time()
    measured.start()
    try:
        told_of_job(Job.model_validate_json(text))
    except Exception:
        return None
    finally:
        measured.stop()
    data = measured.get_data()
    arcs = frozenset((file, arc) for file in data.measured_files() for arc in data.arcs(file) or ())
    return Worked(text, arcs, time.process_time() - started)


def picked(count: int, drawn: int, seed: int) -> tuple[Job, ...]:
    """The shipped jobs, and the ``count`` others that add most branches for their time."""
    first = [job.model_dump_json() for job in bases()]
    texts = [*first, *gathered(), *(draw(seed, number).model_dump_json() for number in range(drawn))]
    with ProcessPoolExecutor() as pool:
        found = [one for one in pool.map(worked, dict.fromkeys(texts), chunksize=8) if one]
    places = {arc: place for place, arc in enumerate(frozenset[Arc]().union(*(one.arcs for one in found)))}
    masks = {one.text: sum(1 << places[arc] for arc in one.arcs) for one in found}
    chosen = [one for one in found if one.text in first]
    left = {one.text: one for one in found if one.text not in first}
    passed = functools.reduce(lambda mask, one: mask | masks[one.text], chosen, 0)
    for _ in range(min(count, len(left))):
        best = max(left.values(), key=lambda one: (masks[one.text] & ~passed).bit_count() / (START_S + one.seconds))
        if not masks[best.text] & ~passed:
            break
        chosen.append(left.pop(best.text))
        passed |= masks[best.text]
    print(f"{len(chosen)} of {len(found)} jobs pass {passed.bit_count()} of {len(places)} branches")
    return tuple(Job.model_validate_json(one.text) for one in chosen)
