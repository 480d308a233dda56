"""Run benchmarks, one after another, and print or keep what they print.

``python -m benchmarks [name ...] [--short] [--write]``: those named, or all. ``--write`` puts each one's own words into
``docs/measured.md``, under its name, with the day, the commit and the state of the machine; sections of others stay as they were.
"""

from __future__ import annotations

import argparse
import os
import re
import subprocess
import sys
import time
from pathlib import Path

ROOT = Path(__file__).resolve().parents[1]
PAGE = ROOT / "docs" / "measured.md"
HEAD = """# What the benchmarks print

Written by `python -m benchmarks [name ...] --write`, never by hand: each section is what a benchmark printed, on the day and machine named
above it. What it means, and what is wanted, stands in [how-good.md](how-good.md).
"""
BENCHMARKS: dict[str, tuple[str, ...]] = {
    "speed": (), "door": (), "load": (), "redraw": (), "comparison": (), "log": (), "bench": (), "first_answer": (), "first_paint": (),
    "drift": ("200",), "estimation": ("2000",), "promises": ("40", "31"),
}  # fmt: skip
"""Each with what its whole run is given, the quick ones first."""
SHORT_FORMS = {"drift": ("2",), "estimation": ("12",), "promises": ("1", "31", "capacitor")}


def state() -> str:
    """Day, commit and machine, in one line."""
    commit = subprocess.run(
        ["git", "rev-parse", "--short", "HEAD"], cwd=ROOT, capture_output=True, text=True, check=False
    )
    text = Path("/proc/cpuinfo").read_text(encoding="utf-8")
    hertz = [float(one) for one in re.findall(r"cpu MHz\s*: ([\d.]+)", text)]
    began = time.perf_counter()
    sum(number * number for number in range(2_000_000))
    loop_ms = 1000 * (time.perf_counter() - began)
    return (
        f"{time.strftime('%Y-%m-%d %H:%M', time.gmtime())} UTC, commit {commit.stdout.strip() or 'unknown'}, {os.cpu_count()} cores"
        f" at {max(hertz, default=0):.0f} MHz, load {os.getloadavg()[0]:.1f}, two million sums in {loop_ms:.0f} ms"
    )


def run(name: str, short: bool) -> str:
    """What a benchmark prints."""
    given = SHORT_FORMS.get(name, ()) if short else BENCHMARKS[name]
    environment = os.environ | ({"BENCHMARK_SHORT": "1"} if short else {})
    ended = subprocess.run(
        [sys.executable, "-m", f"benchmarks.{name}", *given],
        cwd=ROOT,
        env=environment,
        text=True,
        stdout=subprocess.PIPE,
        check=False,
    )
    if ended.returncode:
        raise SystemExit(f"{name} ended with {ended.returncode}:\n{ended.stdout}")
    return ended.stdout.rstrip()


def written(page: str, name: str, said: str, stood: str) -> str:
    """The page with one benchmark's section put in or replaced; sections stand in the order of the list."""
    sections = dict(re.findall(r"^## (\w+)\n(.*?)(?=^## |\Z)", page, flags=re.MULTILINE | re.DOTALL))
    sections[name] = f"\n{stood}\n\n```\n{said}\n```\n\n"
    return HEAD + "".join(f"\n## {one}\n{sections[one].rstrip()}\n" for one in BENCHMARKS if one in sections)


def main() -> int:
    """Run, print, and keep where that is asked for."""
    parser = argparse.ArgumentParser(description=__doc__.splitlines()[0])
    parser.add_argument("names", nargs="*", metavar="name", help=", ".join(BENCHMARKS))
    parser.add_argument("--short", action="store_true", help="just to the end, for no figure's sake")
    parser.add_argument("--write", action="store_true", help=f"put what is printed into {PAGE.relative_to(ROOT)}")
    asked = parser.parse_args()
    unknown = [name for name in asked.names if name not in BENCHMARKS]
    if unknown or (asked.short and asked.write):
        parser.error(f"there is no benchmark {unknown[0]}" if unknown else "a short form's figures are not kept")
    for name in asked.names or BENCHMARKS:
        stood = state()
        said = run(name, asked.short)
        print(f"## {name}\n{stood}\n\n{said}\n", flush=True)
        if asked.write:
            page = PAGE.read_text(encoding="utf-8") if PAGE.exists() else HEAD
            PAGE.write_text(written(page, name, said, stood), encoding="utf-8")
    return 0


if __name__ == "__main__":
    sys.exit(main())
