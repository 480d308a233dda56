"""What the core said when its results were last looked at: an alarm for a change that nobody meant, not evidence that they are right.

``python -m tools.as_before`` works every scene and names what differs from ``tests/as_before/said.csv``; ``--write`` puts what is said now in
its place, ``--jobs COUNT`` picks the kept jobs anew, those that pass the most branches. A scene is a kept job, or a run of the Bench, the plant, a log, a hunt, a calculation, a
file. Of each part of what it says one line is kept: a digest of its words and of where its numbers stand, how many they are, and their
logarithms, weighed by their places and summed, which a thousandth of one number moves.

Which of two answers is right, only a check from outside or a law can say; ``python -m tools.unchanged`` tells number by number what moved.
"""

from __future__ import annotations

import argparse
import csv
import gzip
import sys

from tools.as_before.picking import picked
from tools.as_before.prints import Print, changes, print_of
from tools.as_before.scenes import JOBS, Scene, scenes

SAID = JOBS.with_name("said.csv")
SEED, COUNT, DRAWN = 2026, 95, 400


def said_now(scene: Scene) -> dict[str, Print]:
    """The prints of a scene's parts."""
    return {part: print_of(value) for part, value in scene[1]().items()}


def said_before() -> dict[str, dict[str, Print]]:
    """The kept prints by scene and part."""
    kept: dict[str, dict[str, Print]] = {}
    with SAID.open(encoding="utf-8", newline="") as file:
        for row in csv.DictReader(file):
            line = Print(words=row["words"], numbers=int(row["numbers"]), weighed=float(row["weighed"]))
            kept.setdefault(row["scene"], {})[row["part"]] = line
    return kept


def write() -> None:
    """Keep what is said now."""
    with SAID.open("w", encoding="utf-8", newline="") as file:
        kept = csv.writer(file, lineterminator="\n")
        kept.writerow(("scene", "part", "words", "numbers", "weighed"))
        for scene in scenes():
            kept.writerows(
                (scene[0], part, one.words, one.numbers, f"{one.weighed:.7f}") for part, one in said_now(scene).items()
            )


def main() -> int:
    """Compare, or keep, as asked."""
    parser = argparse.ArgumentParser(description=__doc__.splitlines()[0])
    parser.add_argument("--write", action="store_true", help="keep what is said now")
    parser.add_argument("--jobs", type=int, help=f"pick so many jobs anew ({COUNT} are kept)")
    asked = parser.parse_args()
    if asked.jobs:
        JOBS.parent.mkdir(exist_ok=True)
        text = "".join(f"{job.model_dump_json()}\n" for job in picked(asked.jobs, DRAWN, SEED))
        JOBS.write_bytes(gzip.compress(text.encode(), mtime=0))
    if asked.write:
        write()
        return 0
    before, differ = said_before(), 0
    for scene in scenes():
        for line in changes(before.get(scene[0], {}), said_now(scene)):
            print(f"{scene[0]}, {line}")
            differ += 1
    print(f"{differ} parts differ")
    return 1 if differ else 0


if __name__ == "__main__":
    sys.exit(main())
