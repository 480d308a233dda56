"""What the core said when its results were last looked at: an alarm for a change that nobody meant, not evidence that they are right.

``python -m tools.as_before`` works every scene and names what differs from ``tests/as_before/said.csv``; ``--write`` puts what is said now in
its place, ``--jobs COUNT`` draws the kept jobs anew. A scene is a kept job, or a run of the Bench, the plant, a log, a hunt, a calculation, a
file. Of each part of what it says one line is kept: a digest of its words and of where its numbers stand, how many they are, and their
logarithms, weighed by their places and summed, which a thousandth of one number moves.

Which of two answers is right, only a check from outside or a law can say; ``python -m tools.unchanged`` tells number by number what moved.
"""

from __future__ import annotations

import argparse
import csv
import dataclasses
import gzip
import hashlib
import math
import sys
from collections.abc import Callable, Iterator
from datetime import UTC, datetime, timedelta
from enum import Enum
from functools import cache
from pathlib import Path
from typing import Any

import numpy as np
from pydantic import BaseModel
from tests.core.calculations.test_calculations import WORKED

from modest_rotor.core.assess import assess, beside, build_case, fit_job, ladder, loaded, needles
from modest_rotor.core.bench.hunt import make_hunt
from modest_rotor.core.bench.hunting import acts_on, budget_of, cheapest_way
from modest_rotor.core.bench.knobs import Turned, knobs_of
from modest_rotor.core.bench.outlook import outlook
from modest_rotor.core.bench.run import State, advance, meters, settled
from modest_rotor.core.bench.shipped import stands
from modest_rotor.core.bench.waves import waves_of
from modest_rotor.core.bench.why import reasons
from modest_rotor.core.calculations.book import work_out
from modest_rotor.core.drift.answer import Due, log_answer
from modest_rotor.core.drift.log import NEEDLE_OF
from modest_rotor.core.drift.machine import machine_since
from modest_rotor.core.drift.reference import references_of
from modest_rotor.core.drift.simulated import Fault, simulated_log
from modest_rotor.core.errors import ModestRotorError
from modest_rotor.core.identify.perturb import Change
from modest_rotor.core.job import Job
from modest_rotor.core.outcome import Absent
from modest_rotor.core.plant import plant
from modest_rotor.core.plant.demo import hall_fan, waiting_hall_blower
from modest_rotor.core.report import build_report
from modest_rotor.core.stations.traits import DriveTraits, SignalTraits
from modest_rotor.formats.catalogue_files import read_catalogue, write_csv
from modest_rotor.formats.log_csv import read_log_file
from modest_rotor.formats.logger_csv import read_log
from modest_rotor.formats.readings_csv import propose, write_sets
from modest_rotor.formats.text import told
from tools.unchanged import bases, draw

PLACE = Path(__file__).resolve().parents[1] / "tests" / "as_before"
JOBS, SAID = PLACE / "jobs.jsonl.gz", PLACE / "said.csv"
SEED, COUNT = 2026, 30
NEAR = 1e-4
"""Far more than what another processor rounds otherwise, far less than any slip of the pen."""
FLOOR = 1e-9
"""A number of this size counts no longer: what is left of two that cancel."""
FAULTS = (None, Fault(Change.FILTER_LOADED, 1.6), Fault(Change.DRAG, 1.5), Fault(Change.VOLTS_LOW, 0.9))
Scene = tuple[str, Callable[[], dict[str, Any]]]
"""A scene's name and what works it: its parts by their names."""


class Print(BaseModel):
    """What is kept of one part."""

    words: str
    numbers: int
    weighed: float

    def like(self, other: Print) -> bool:
        """Whether two are prints of the same."""
        near = math.isclose(self.weighed, other.weighed, rel_tol=0.0, abs_tol=NEAR)
        return near and (self.words, self.numbers) == (other.words, other.numbers)


def print_of(value: Any) -> Print:
    """The print of anything that the core says: models, data classes, arrays, lists, words and numbers."""
    digest, numbers, weighed = hashlib.blake2s(digest_size=8), 0, 0.0
    for path, leaf in _leaves(value, ""):
        digest.update(path.encode())
        if isinstance(leaf, float) or (isinstance(leaf, int) and not isinstance(leaf, bool)):
            numbers += 1
            if math.isfinite(leaf):
                weighed += _weight(path) * math.copysign(math.log1p(abs(leaf) / FLOOR), leaf)
                continue
        digest.update(repr(leaf).encode())
    return Print(words=digest.hexdigest(), numbers=numbers, weighed=weighed)


@cache
def _weight(path: str) -> float:
    """Between a half and three halves, another one at every place."""
    return 0.5 + int.from_bytes(hashlib.blake2s(path.encode(), digest_size=4).digest()) / 2**32


def _leaves(value: Any, path: str) -> Iterator[tuple[str, Any]]:
    if isinstance(value, BaseModel):
        value = {name: getattr(value, name) for name in type(value).model_fields}
    elif dataclasses.is_dataclass(value) and not isinstance(value, type):
        value = {field.name: getattr(value, field.name) for field in dataclasses.fields(value)}
    if isinstance(value, np.ndarray | np.generic):
        value = value.tolist()
    if isinstance(value, dict):
        for name, one in value.items():
            yield from _leaves(one, f"{path}/{name}")
    elif isinstance(value, list | tuple | set | frozenset):
        for place, one in enumerate(sorted(value, key=str) if isinstance(value, set | frozenset) else value):
            yield from _leaves(one, f"{path}/{place}")
    elif isinstance(value, Enum):
        yield path, value.value
    else:
        yield path, value


@cache
def kept_jobs() -> tuple[Job, ...]:
    """The jobs that were drawn when the file was written, and those that the demo ships."""
    with gzip.open(JOBS, "rt", encoding="utf-8") as file:
        return tuple(Job.model_validate_json(line) for line in file)


def scenes() -> list[Scene]:
    """Every scene."""
    jobs = [(f"job {number}", lambda job=job: _job(job)) for number, job in enumerate(kept_jobs())]
    rigs = [(f"bench {name}", lambda name=name: _bench(name)) for name in stands()]
    hunts = [(f"hunts of level {level}", lambda level=level: _hunts(level)) for level in (1, 2, 3)]
    return [
        *jobs,
        *rigs,
        *hunts,
        ("logs", _logs),
        ("plant", _plant),
        ("calculations", _calculations),
        ("files", _files),
    ]


def _job(job: Job) -> dict[str, Any]:
    """Everything that is told of a job, by the parts of its assessment."""
    fit = fit_job(job)
    answer = assess(job, fit)
    report = build_report(job, answer, "2026-11-01", "r1", None)
    ids = tuple(one.id for one in job.document.options.considered)
    asked = {"needles": lambda: needles(job, fit), "ladder": lambda: ladder(job, fit), "loaded": lambda: loaded(job, fit), "beside": lambda: beside(job, ids, fit)}  # fmt: skip
    more = {name: _or_refusal(work) for name, work in asked.items()}
    return {name: getattr(answer, name) for name in type(answer).model_fields} | more | {"report": report}


def _or_refusal(work: Callable[[], Any]) -> Any:
    """What comes of it, or the words of its refusal."""
    try:
        return work()
    except ModestRotorError as refusal:
        return str(refusal)


def _bench(name: str) -> dict[str, Any]:
    """A stand at rest, turned to each end of each knob, run up, and asked why."""
    stand = stands()[name]
    plain = Turned().controls
    parts: dict[str, Any] = {"stand": [knob.model_dump() for knob in knobs_of(stand)], "waves": _or_refusal(lambda: waves_of(stand, plain))}  # fmt: skip
    rig, state = settled(stand, plain)
    shown, at = [], State()
    for _ in range(8):
        at = advance(rig, at, 0.5)
        shown.append(meters(rig, at))
    parts |= {"run up": shown, "settled": meters(rig, state), "run down": meters(rig, advance(rig, state, 2.0, on=False), on=False)}  # fmt: skip
    for knob in knobs_of(stand):
        for end in _ends(knob):
            turned = _or_refusal(lambda end=end, knob=knob: Turned.model_validate({knob.key: end}).controls)
            if not isinstance(turned, str):
                parts[f"{knob.key} {end}"] = (_or_refusal(lambda to=turned: outlook(stand, to)), _or_refusal(lambda to=turned: reasons(stand, plain, to)))  # fmt: skip
    return parts


def _ends(knob: Any) -> list[Any]:
    return [one.value for one in knob.choices] if knob.choices else [knob.low, knob.high]


def _hunts(level: int) -> dict[str, Any]:
    numbers = range((level - 1) * 1000, (level - 1) * 1000 + 10)
    return {
        str(number): (make_hunt(number).hidden, acts_on(make_hunt(number)), budget_of(number), cheapest_way(number))
        for number in numbers
    }


def _logs() -> dict[str, Any]:
    """A year of readings of every demo machine that can be watched, sound and with faults, as its log is judged."""
    said: dict[str, Any] = {}
    for job in bases():
        fit = fit_job(job)
        machine, references = build_case(job, fit).right, references_of(job, assess(job, fit), 20_000.0)
        for number, fault in enumerate(FAULTS) if references else ():
            values = references[0].values
            healthy = {NEEDLE_OF[name]: value for name, value in values.items() if name in NEEDLE_OF}
            setup = machine_since(job, machine, healthy)
            if isinstance(setup, Absent):
                said[f"{job.machine.name} {number}"] = setup
                continue
            log = _or_refusal(lambda setup=setup, fault=fault, at=references[0].setting: simulated_log(setup, np.random.default_rng(7), np.arange(0.0, 300.0, 3.0), fault, setting=at))  # fmt: skip
            if isinstance(log, str):
                continue
            worn = np.linspace(1.0, 0.97, len(log)) * 1e-5
            log = dataclasses.replace(log, days=log.days + 20_000.0, columns={**log.columns, "capacitance": worn})
            dues = (Due(20_400.0, "filter due"), Due(20_350.0, "belt due"))
            said[f"{job.machine.name} {number}"] = log_answer(log, job, machine, references, dues, 20_301.0)
    return said


def _plant() -> dict[str, Any]:
    """The simulated machines behind the devices: told, run up, changed, stopped."""
    fan = hall_fan(DriveTraits(floor_hz=10, top_hz=60, start_up_s=5, start_up_hz=15))
    blower = waiting_hall_blower(SignalTraits(off_below_v=1.0))
    courses = {
        "fan": (fan, [plant.Told(run=True, frequency_hz=hertz, high_hz=50.0, ramp_up_s=6, ramp_down_s=4) for hertz in (40.0, 20.0, 50.0)]),
        "blower": (blower, [plant.Told(run=True, signal_v=volts) for volts in (6.0, 2.0, 10.0, 0.5)]),
    }  # fmt: skip
    said: dict[str, Any] = {}
    for name, (machine, orders) in courses.items():
        state, seen = plant.State(), []
        for order in (*orders, plant.Told(run=False)):
            for _ in range(12):
                state = plant.advance(machine, order, state, 0.7)
                seen.append((state, plant.shown(machine, order, state)))
        said[name] = seen
    return said


def _calculations() -> dict[str, Any]:
    """Every worked example with its workings, and as text in both systems."""
    return {
        name: [work_out(name, typed), *(told(work_out(name, typed), units) for units in ("si", "ip"))]
        for name, typed, _ in WORKED
    }


def _files() -> dict[str, Any]:
    """Files as they come: loggers', logs', readings', the catalogue's."""
    first = datetime(2026, 3, 2, tzinfo=UTC)
    stamps = [first + timedelta(minutes=7 * number) for number in range(400)]
    amps = [3.9 + 0.1 * math.sin(number) if number % 9 < 4 else 0.1 for number in range(400)]
    logger = "\n".join(["Time,Motor A", *(f"{at:%Y-%m-%d %H:%M},{value:.3f}" for at, value in zip(stamps, amps, strict=True))])  # fmt: skip
    rows = (f"{at:%Y-%m-%d %H:%M},{value:.2f},{400 + value:.1f},{21 + value:.1f}" for at, value in zip(stamps[::9], amps[::9], strict=True))  # fmt: skip
    log = "\n".join(["Logger 4711", "time,Line amps (A),Power [W],air °C", *rows, "1970-01-01 00:00,3,400,20", "nonsense,1,2,3"])  # fmt: skip
    sets = write_sets(bases()[0].document.readings)
    catalogue = (Path(__file__).resolve().parents[1] / "src/modest_rotor/demo/catalogue.csv").read_text(encoding="utf-8")  # fmt: skip
    read = read_catalogue(catalogue)
    return {
        "logger": read_log(logger),
        "log": read_log_file(log, datetime(2026, 6, 1, tzinfo=UTC)),
        "readings": (sets, propose(sets, {}, {}, "ip", 60, "2026-06-01 12:00")),
        "catalogue": (read, write_csv(tuple(read.products))),
    }


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


def changes(before: dict[str, Print], now: dict[str, Print]) -> list[str]:
    """What of a scene is said otherwise, part by part."""
    told_of = []
    for part in {**before, **now}:
        one, other = before.get(part), now.get(part)
        if one is None or other is None:
            told_of.append(f"{part}: {'new' if one is None else 'gone'}")
        elif not one.like(other):
            words = "words or places; " if one.words != other.words else ""
            told_of.append(
                f"{part}: {words}{one.numbers} numbers, then {other.numbers}; moved by {other.weighed - one.weighed:.2g}"
            )
    return told_of


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
    parser.add_argument("--jobs", type=int, help=f"draw so many jobs anew ({COUNT} are kept)")
    asked = parser.parse_args()
    if asked.jobs:
        PLACE.mkdir(exist_ok=True)
        drawn = (*bases(), *(draw(SEED, number) for number in range(asked.jobs)))
        text = "".join(f"{job.model_dump_json()}\n" for job in drawn)
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
