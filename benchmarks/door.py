"""How long the one door takes: ``assess(job)`` on the demo jobs, and what share of it is spent where.

``python benchmarks/door.py``; run it on a quiet machine. Times are medians of one run; the ratios hold across machines.
A screen that follows the typing wants an answer within about 100 ms, of which the door may take half.
"""

from __future__ import annotations

import statistics
import time
from collections.abc import Callable
from importlib.resources import files

from benchmarks.scale import few
from modest_rotor.core.assess import assess, build_case
from modest_rotor.core.job import Job
from modest_rotor.demo.load import DEMO_JOBS
from modest_rotor.formats.job_file import read_job

RUNS = few(60, 1)
JOBS = DEMO_JOBS[: few(len(DEMO_JOBS), 2)]


def medians_ms(*works: Callable[[], object]) -> list[float]:
    """Median time of each call, in ms; they take turns, so that a busy moment of the machine falls on all of them."""
    times: list[list[float]] = [[] for _ in works]
    for _ in range(RUNS + 1):
        for work, taken in zip(works, times, strict=True):
            start = time.perf_counter()
            work()
            taken.append(time.perf_counter() - start)
    return [1000 * statistics.median(taken[1:]) for taken in times]


def with_steps(job: Job, count: int) -> Job:
    """The job with its year cut into as many steps as asked for."""
    share = job.document.duty.steps[0]
    steps = [{**share.model_dump(), "id": f"s{number}", "hours": "300 h"} for number in range(1, count + 1)]
    data = job.model_dump()
    data["document"]["duty"]["steps"] = steps
    return Job.model_validate(data)


def main() -> None:
    """Print the table."""
    print(f"{'job':34}{'door, ms':>10}{'solving, %':>12}{'24 steps, ×':>13}{'as JSON, %':>12}")
    for name in JOBS:
        job = read_job(files("modest_rotor.demo").joinpath(name).read_text(encoding="utf-8"))
        if not job.document.duty.steps:
            continue  # a job without a year has no steps to cut
        long = with_steps(job, 24)
        answer = assess(job)
        works = (
            lambda job=job: assess(job),
            lambda job=job: build_case(job),
            lambda long=long: assess(long),
            lambda answer=answer: answer.model_dump_json(),
        )
        door, solving, longer, written = medians_ms(*works)
        print(f"{name:34}{door:10.1f}{100 * solving / door:12.0f}{longer / door:13.1f}{100 * written / door:12.0f}")


if __name__ == "__main__":
    main()
