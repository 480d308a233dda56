"""Change the program at random places, one at a time, and see whether the tests that belong to the place notice.

``python -m tools.mutation --seed 5 --count 200 [--area tables]``. Every change is made in a copy of the working tree; run are the
test functions of the core and the formats that pass through the changed line (for a table, through a module that reads it), the quickest
first, until one fails. Survivors are listed for judgement; those that change nothing stand in ``equivalent.csv`` with the reason.

Not a library: of those kept up, none changes a digit of a data file, picks tests by the line they pass, or samples by area.
"""

from __future__ import annotations

import argparse
import csv
import json
import multiprocessing
import os
import random
import re
import shutil
import subprocess
import sys
import tempfile
import time
from concurrent.futures import ThreadPoolExecutor
from dataclasses import dataclass
from pathlib import Path

import coverage

from tools.mutation.changes import AREAS, Change, changes_of, files_of
from tools.mutation.child import CAME_TO_AN_END, run_tests
from tools.mutation.record import OUT

ROOT = Path(__file__).resolve().parents[2]
TESTS = ("tests/core", "tests/formats", "tests/fieldbus/test_profile.py", "tests/test_cli.py")
ALARM, ALARM_S = "tests/test_as_before.py", 60.0
"""What knows only that something is said otherwise, and how long it takes: asked where no other test noticed, and counted apart."""
EQUIVALENT = Path(__file__).parent / "equivalent.csv"
COPIED = ("src", "tests", "tools", "benchmarks", "docs", "web/src/generated", "pyproject.toml", "README.md")
MOST_TESTS_S = 90.0
"""Longest time that the tests of one change may take on the sound program; the quickest are taken first."""
NAMED = re.compile(r"\s*([A-Za-z_][A-Za-z_0-9]*)\s*[:=,]")
"""What begins a constant, a field of a class, or one of several constants."""
LIBRARIES = [
    "numpy",
    "scipy.integrate",
    "scipy.interpolate",
    "scipy.optimize",
    "scipy.signal",
    "scipy.stats",
    "pydantic",
    "pytest",
]
"""Read once, before anything is changed."""
START = multiprocessing.get_context("forkserver")
SLOWEST, SLACK_S = 4.0, 40.0
"""A change is timed out beyond this many times its tests' own time, and this much for the start."""


@dataclass(frozen=True)
class Recorded:
    """What the sound program's tests pass through."""

    lines: dict[str, dict[int, set[str]]]
    durations: dict[str, float]

    def tests_of(self, change: Change) -> list[str]:
        """The test functions that pass through a changed line, the quickest first, within the time there is."""
        if change.path.endswith(".csv"):
            found = self._of_table(Path(change.path).stem)
        else:
            by_line = self.lines.get(change.path, {})
            found = set().union(*(by_line.get(line, set()) for line in range(change.line, change.end_line + 1)))
            found = (found or self._of_name(change)) | self._mirrored(change.path)
        picked, spent = [], 0.0
        for test in sorted(found, key=lambda one: self.durations.get(one, 0.0)):
            spent += self.durations.get(test, 0.0)
            if picked and spent > MOST_TESTS_S:
                break
            picked.append(test)
        return picked

    def _mirrored(self, path: str) -> set[str]:
        """The tests that mirror a module: what they assert may come from a result that another test had worked out before them."""
        _, _, *inside, name = Path(path).with_suffix("").parts
        folder = "/".join(("tests", *inside)) + "/"
        deep = len(inside) > 1 or inside == ["formats"]
        mark = folder if deep else f"{folder}test_{name}.py"
        return {test for test in self.durations if test.startswith(mark)}

    def _of_name(self, change: Change) -> set[str]:
        """Tests that pass a line which uses what a changed line names: constants and defaults are read before any test runs."""
        lines = (ROOT / change.path).read_text(encoding="utf-8").splitlines()
        names = [name for number in range(change.line, 0, -1) if (name := NAMED.match(lines[number - 1]))]
        if not names:
            return set()
        used = re.compile(rf"\b{names[0][1]}\b")
        found: set[str] = set()
        for path, by_line in self.lines.items():
            for number, line in enumerate((ROOT / path).read_text(encoding="utf-8").splitlines(), 1):
                if used.search(line):
                    found |= by_line.get(number, set())
        return found | self._naming(names[0][1])

    def _naming(self, word: str) -> set[str]:
        """The tests of every file of tests that names something, in itself or in the table that stands beside it."""
        named = re.compile(rf"\b{word}\b")
        folder = ROOT / "tests" / "core"
        beside = ((path, path.with_name(f"test_{path.stem}.py")) for path in folder.rglob("*.csv"))
        places = [*((path, path) for path in folder.rglob("test_*.py")), *beside]
        at = {tests for path, tests in places if named.search(path.read_text(encoding="utf-8"))}
        marks = tuple(f"{path.relative_to(ROOT)}::" for path in at)
        return {test for test in self.durations if test.startswith(marks)}

    def _of_table(self, table: str) -> set[str]:
        """Tests that name the table, or pass through a line that does."""
        named = f'"{table}"'
        found: set[str] = set()
        for path, by_line in self.lines.items():
            for number, line in enumerate((ROOT / path).read_text(encoding="utf-8").splitlines(), 1):
                if named in line:
                    near = range(number - 1, number + 12)  # what is read is worked with below
                    found |= set().union(*(by_line.get(place, set()) for place in near))
        return found | self._naming(table)


def record(again: bool) -> Recorded:
    """What each line's tests are, recorded anew where it was not, or where that is asked for."""
    kept = Path(tempfile.gettempdir()) / "modest-rotor-mutation"
    data, durations = kept / "coverage", kept / "durations.json"
    if again or not durations.exists():
        kept.mkdir(exist_ok=True)
        (kept / "rc").write_text(
            f"[run]\ndynamic_context = test_function\nsource = {ROOT / 'src'}\ndata_file = {data}\n", encoding="utf-8"
        )
        command = [sys.executable, "-m", "coverage", "run", f"--rcfile={kept / 'rc'}", "-m", "pytest", "-q", "-x",
                   "-p", "tools.mutation.record", "-p", "no:cacheprovider", "-m", "not database", *TESTS]  # fmt: skip
        subprocess.run(command, cwd=ROOT, env=os.environ | {OUT: str(durations)}, check=True)
    found = coverage.CoverageData(str(data))
    found.read()
    lines: dict[str, dict[int, set[str]]] = {}
    for measured in found.measured_files():
        contexts = found.contexts_by_lineno(measured)
        lines[str(Path(measured).relative_to(ROOT))] = {
            number: {_node(one) for one in names if one} for number, names in contexts.items()
        }
    return Recorded(lines, json.loads(durations.read_text(encoding="utf-8")))


def _node(context: str) -> str:
    """A test's name as pytest takes it: ``tests.core.test_entry.test_x`` as ``tests/core/test_entry.py::test_x``."""
    module, function = context.rsplit(".", 1)
    return f"{module.replace('.', '/')}.py::{function}"


def sample(area: str, count: int, chance: random.Random, known: set[tuple[str, str, str]]) -> list[Change]:
    """Changes of an area, each place as likely as any other; those known to change nothing are left out."""
    every = [change for path in files_of(ROOT, area) for change in changes_of(ROOT, path, chance)]
    chance.shuffle(every)
    return [one for one in every if (one.path, one.before, one.after) not in known][:count]


def noticed(change: Change, recorded: Recorded, copy: Path) -> str:
    """Whether a change is noticed: ``noticed`` by a test that says what is right, ``alarm`` by what was said before alone, or
    ``survived``, ``timed out``, ``untested``.
    """
    tests = recorded.tests_of(change)
    at = copy / change.path
    sound = at.read_text(encoding="utf-8")
    at.write_text(change.applied(sound), encoding="utf-8")
    try:
        result = _run(change, copy, tests, sum(recorded.durations.get(test, 0.0) for test in tests))
        return result if result != "survived" or _run(change, copy, [ALARM], ALARM_S) == "survived" else "alarm"
    finally:
        at.write_text(sound, encoding="utf-8")


def _run(change: Change, copy: Path, tests: list[str], expected_s: float) -> str:
    if not tests:
        return "untested"
    running = START.Process(target=run_tests, args=(copy, tests))
    running.start()
    running.join(SLACK_S + SLOWEST * expected_s)
    if running.is_alive():
        running.kill()
        running.join()
        return "timed out"
    came_to = (running.exitcode or 0) - CAME_TO_AN_END
    if came_to not in (
        0,
        1,
        2,
        4,
    ):  # 1: a test failed; 2 and 4: the changed program could not even be read or collected
        raise RuntimeError(f"The tests of {change} broke down: {running.exitcode}.")
    return "survived" if came_to == 0 else "noticed"


def copied(place: Path) -> Path:
    """The working tree, as far as tests need it, at a place of its own."""
    for name in COPIED:
        source = ROOT / name
        if source.is_dir():
            shutil.copytree(source, place / name, ignore=shutil.ignore_patterns("__pycache__"))
        else:
            (place / name).parent.mkdir(parents=True, exist_ok=True)
            shutil.copy(source, place / name)
    return place


def main() -> int:
    """Print what was noticed by area, and what was not."""
    parser = argparse.ArgumentParser(description=__doc__.splitlines()[0])
    parser.add_argument("--seed", type=int, default=1)
    parser.add_argument("--count", type=int, default=140, help="changes, the same number in each area")
    parser.add_argument("--area", choices=AREAS, action="append", help="these areas alone")
    parser.add_argument("--record", action="store_true", help="record anew which tests pass which lines")
    parser.add_argument("--workers", type=int, default=os.cpu_count() or 1)
    asked = parser.parse_args()
    with EQUIVALENT.open(encoding="utf-8") as file:
        known = {(row["path"], row["before"], row["after"]) for row in csv.DictReader(file)}
    recorded = record(asked.record)
    os.environ["OMP_NUM_THREADS"] = "1"
    START.set_forkserver_preload(LIBRARIES)
    areas = asked.area or list(AREAS)
    each = -(-asked.count // len(areas))
    plan = [(area, one) for area in areas for one in sample(area, each, random.Random(f"{asked.seed} {area}"), known)]
    started = time.perf_counter()
    ended: dict[str, list[str]] = {area: [] for area in areas}
    left: list[str] = []
    with tempfile.TemporaryDirectory() as scratch:
        copies = [copied(Path(scratch) / str(number)) for number in range(asked.workers)]

        def one(job: tuple[str, Change]) -> None:
            copy = copies.pop()
            try:
                result = noticed(job[1], recorded, copy)
            finally:
                copies.append(copy)
            ended[job[0]].append(result)
            if result != "noticed":
                left.append(f"{result:9} {job[0]:16} {job[1]}")
                print(left[-1], flush=True)

        with ThreadPoolExecutor(asked.workers) as pool:
            list(pool.map(one, plan))
    _tell(ended, time.perf_counter() - started, asked.seed)
    return 0


def _tell(ended: dict[str, list[str]], took_s: float, seed: int) -> None:
    print(
        f"\n| area, seed {seed} | changes | noticed | timed out | alarm alone | survived | untested | noticed | with the alarm |"
        "\n|---|---|---|---|---|---|---|---|---|"
    )
    rows = [*ended.items(), ("all", [result for results in ended.values() for result in results])]
    for area, results in rows:
        counts = [results.count(name) for name in ("noticed", "timed out", "alarm", "survived", "untested")]
        shares = (sum(counts[:end]) / max(len(results), 1) for end in (2, 3))
        print(
            f"| {area} | {len(results)} | {' | '.join(map(str, counts))} | {' | '.join(f'{one:.0%}' for one in shares)} |"
        )
    print(f"\n{took_s / 60:.0f} minutes")


if __name__ == "__main__":
    sys.exit(main())
