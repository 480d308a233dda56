r"""A net under a redesign: the assessments of many random whole jobs, saved from one checkout and compared with another's.

``python -m tools.unchanged save PLACE [--count 1000] [--seed 1] [--jobs OTHER_PLACE]`` draws jobs (or takes those of another place) and
saves what the core says of each. ``python -m tools.unchanged compare BEFORE AFTER [--may-differ PATTERN ...]`` compares to 1e-9 and names
the first difference of each job; a pattern is a regular expression of paths such as ``findings/\\d+/sentence``.

A job is one of the demo's or of the tests' textbook machines with an option of every kind in turn and some dozens of random edits at any
station, through the same door as a person's; many contradict each other, as people do.
"""

from __future__ import annotations

import argparse
import gzip
import json
import math
import random
import re
import sys
from collections import Counter
from collections.abc import Iterator
from concurrent.futures import ProcessPoolExecutor
from functools import cache
from importlib.resources import files
from pathlib import Path
from typing import Any

from tests.jobs import KRAUSE

from modest_rotor.core.assess import assess, fit_job
from modest_rotor.core.changes import next_id, value_at, with_change
from modest_rotor.core.errors import Refusal
from modest_rotor.core.job import Job
from modest_rotor.core.options.contract import OptionKind
from modest_rotor.core.quantities import Quantity, quantity
from modest_rotor.formats.job_file import read_job
from tools.generate import fields_of_a_job

JOBS, ANSWERS = "jobs.jsonl.gz", "answers.jsonl.gz"
NEAR, NOUGHT = 1e-9, 1e-12
FEWEST, MOST_EDITS = 6, 40
WORDS = ("as found", "2026-03-01 14:30", "48Y", "IP54", "noisy; since spring", "A. Porter")
WIDEST = 1e4
"""Of a quantity whose limits lie further apart than this, values are drawn round one: nobody types the edge of a range."""


@cache
def bases() -> tuple[Job, ...]:
    """The jobs that are begun from: the demo's, and a textbook machine."""
    demo = files("modest_rotor.demo")
    names = sorted(path.name for path in demo.iterdir() if path.name.endswith(".json"))
    return (*(read_job(demo.joinpath(name).read_text(encoding="utf-8")) for name in names), Job.model_validate(KRAUSE))


def draw(seed: int, number: int) -> Job:
    """The job of a number: a base, one more set, an option of the kind whose turn it is, and random edits."""
    chance = random.Random(f"{seed} {number}")
    job = chance.choice(bases())
    kinds = list(OptionKind)
    job = _with_item(job, "options/candidates", {"kind": str(kinds[number % len(kinds)])})
    if job.document.readings:
        again = value_at(job, "readings")[-1]
        job = _with_item(job, "readings", {name: value for name, value in again.items() if name != "id"})
    names = list(fields_of_a_job())
    for _ in range(chance.randint(FEWEST, MOST_EDITS)):
        job = _edited(job, chance, chance.choice(names))
    candidates = [one.id for one in job.document.options.candidates]
    if chance.random() < 0.5 and candidates:
        job = _kept(job, "decision/chosen", chance.choice(candidates))
    return job


def _with_item(job: Job, path: str, item: dict[str, Any]) -> Job:
    items = value_at(job, path)
    return _kept(job, path, [*items, {**item, "id": next_id(items)}])


def _kept(job: Job, path: str, after: Any) -> Job:
    """The job with an edit, or as it was where that is refused, as a person would find it."""
    try:
        return with_change(job, path, after)
    except Refusal:
        return job


def _edited(job: Job, chance: random.Random, name: str) -> Job:
    """The job with something else at a field: another answer, another figure, or nothing."""
    facts = fields_of_a_job()[name]
    path = name
    while "/*" in path:
        place = path.split("/*", 1)[0]
        try:
            items = value_at(job, place)
        except Refusal:
            return job
        if not items or "id" not in items[0]:  # an empty list, or points of a curve, which are typed as one text
            return job
        path = path.replace("*", chance.choice(items)["id"], 1)
    if name == "machine/name":
        return job
    if chance.random() < 0.1:
        return _kept(job, path, None)
    if facts.get("choices"):
        return _kept(job, path, chance.choice(facts["choices"]))
    if facts.get("quantity"):
        return _kept(job, path, {"typed": _figure(job, path, quantity(facts["quantity"]), chance)})
    return _kept(job, path, chance.choice(WORDS))


def _figure(job: Job, path: str, what: Quantity, chance: random.Random) -> str:
    """A figure as typed: mostly near what stood there, else anywhere in the quantity's range."""
    unit = what.reader_unit("si")
    try:
        before = value_at(job, path)
    except Refusal:
        before = None
    if isinstance(before, dict) and before.get("si"):
        value = before["si"] * math.exp(chance.gauss(0.0, 0.35))
    else:
        low, high = max(what.low, what.high / WIDEST), min(what.high, max(what.low, 1e-9) * WIDEST * WIDEST)
        value = (
            chance.uniform(what.low, what.high)
            if what.low < 0
            else math.exp(chance.uniform(math.log(low or 1e-9), math.log(max(high, low) or 1)))
        )
    return f"{value / unit.factor:.4g} {unit.symbol}".strip()


def _answer(text: str) -> str:
    job = Job.model_validate_json(text)
    return json.dumps(assess(job, fit_job(job)).model_dump(mode="json"), ensure_ascii=False)


def save(place: Path, count: int, seed: int, jobs: Path | None) -> None:
    """Save jobs and what is said of them."""
    place.mkdir(parents=True, exist_ok=True)
    if jobs:
        with gzip.open(jobs / JOBS, "rt", encoding="utf-8") as file:
            texts = file.read().splitlines()
    else:
        texts = [draw(seed, number).model_dump_json() for number in range(count)]
    with gzip.open(place / JOBS, "wt", encoding="utf-8") as file:
        file.writelines(f"{text}\n" for text in texts)
    with gzip.open(place / ANSWERS, "wt", encoding="utf-8") as file, ProcessPoolExecutor() as pool:
        file.writelines(f"{answer}\n" for answer in pool.map(_answer, texts, chunksize=4))
    print(f"{len(texts)} jobs and their assessments are in {place}")


def differences(before: Any, after: Any, path: str = "") -> Iterator[tuple[str, str]]:
    """Where two answers differ, and how: by value beyond 1e-9, by kind, or by what is there at all."""
    if isinstance(before, dict) and isinstance(after, dict):
        for name in {**before, **after}:
            yield from differences(before.get(name), after.get(name), f"{path}/{name}" if path else name)
    elif isinstance(before, list) and isinstance(after, list):
        if len(before) != len(after):
            yield path, f"{len(before)} items, then {len(after)}"
        for place, (one, other) in enumerate(zip(before, after, strict=False)):
            yield from differences(one, other, f"{path}/{place}")
    elif _number(before) and _number(after):
        if not math.isclose(before, after, rel_tol=NEAR, abs_tol=NOUGHT):
            yield path, f"{before!r}, then {after!r}"
    elif before != after or isinstance(before, bool) is not isinstance(after, bool):
        yield path, f"{str(before)[:80]!r}, then {str(after)[:80]!r}"


def _number(value: Any) -> bool:
    return isinstance(value, int | float) and not isinstance(value, bool)


def compare(before: Path, after: Path, may_differ: list[str]) -> int:
    """Print how many jobs differ and the first difference of each; 1 where one does that may not."""
    allowed = [re.compile(pattern) for pattern in may_differ]
    seen, jobs, differ = Counter[str](), 0, 0
    with gzip.open(before / ANSWERS, "rt") as one, gzip.open(after / ANSWERS, "rt") as other:
        for number, (left, right) in enumerate(zip(one, other, strict=True)):
            jobs += 1
            found = (
                (path, how)
                for path, how in differences(json.loads(left), json.loads(right))
                if not any(pattern.fullmatch(path) for pattern in allowed)
            )
            first = next(found, None)
            if first:
                differ += 1
                seen[re.sub(r"\d+", "*", first[0])] += 1
                if differ <= 20:
                    print(f"job {number}: {first[0]}: {first[1]}")
    print(f"{jobs} jobs, {differ} differ" + (f", beyond {', '.join(may_differ)}" if may_differ else ""))
    for path, count in seen.most_common():
        print(f"  {count:5} first at {path}")
    return 1 if differ else 0


def main() -> int:
    """Save or compare, as asked."""
    parser = argparse.ArgumentParser(description=__doc__.splitlines()[0])
    acts = parser.add_subparsers(dest="act", required=True)
    saving = acts.add_parser("save")
    saving.add_argument("place", type=Path)
    saving.add_argument("--count", type=int, default=1000)
    saving.add_argument("--seed", type=int, default=1)
    saving.add_argument("--jobs", type=Path, help="take the jobs of another place in place of drawing them")
    comparing = acts.add_parser("compare")
    comparing.add_argument("before", type=Path)
    comparing.add_argument("after", type=Path)
    comparing.add_argument("--may-differ", action="append", default=[], metavar="PATTERN")
    asked = parser.parse_args()
    if asked.act == "save":
        save(asked.place, asked.count, asked.seed, asked.jobs)
        return 0
    return compare(asked.before, asked.after, asked.may_differ)


if __name__ == "__main__":
    sys.exit(main())
