"""The scenes that the alarm watches: jobs with everything told of them, Bench, plant, logs, hunts, calculations, files, what is typed."""

from __future__ import annotations

import dataclasses
import gzip
import math
from collections.abc import Callable
from datetime import UTC, datetime, timedelta
from functools import cache
from pathlib import Path
from typing import Any

import numpy as np
from tests.core.calculations.test_calculations import WORKED
from tests.core.stations.plates import PLATES

from modest_rotor.core.assess import assess, beside, build_case, causes, effects, fit_job, loaded
from modest_rotor.core.bench.hunt import make_hunt
from modest_rotor.core.bench.hunting import acts_on, budget_of, cheapest_acts
from modest_rotor.core.bench.knobs import Turned, knobs_of
from modest_rotor.core.bench.outlook import outlook
from modest_rotor.core.bench.run import State, advance, meters, settled
from modest_rotor.core.bench.shipped import stands
from modest_rotor.core.bench.waves import waves_of
from modest_rotor.core.bench.why import reasons
from modest_rotor.core.calculations.book import work_out
from modest_rotor.core.drift.answer import Due, log_answer
from modest_rotor.core.drift.log import MEASURAND_OF
from modest_rotor.core.drift.machine import machine_since
from modest_rotor.core.drift.reference import references_of
from modest_rotor.core.drift.simulated import Fault, simulated_log
from modest_rotor.core.entry import read_entry
from modest_rotor.core.identify.perturb import Change
from modest_rotor.core.job import Job
from modest_rotor.core.numerals import NumberStyle
from modest_rotor.core.outcome import Absent
from modest_rotor.core.plant import plant, turning
from modest_rotor.core.plant.demo import hall_fan, waiting_hall_blower
from modest_rotor.core.quantities import all_quantities
from modest_rotor.core.report import build_report
from modest_rotor.core.stations.charts import Charts, amps_chart
from modest_rotor.core.stations.plate_line import read_line
from modest_rotor.core.stations.traits import DriveTraits, SignalTraits
from modest_rotor.formats.catalogue_files import read_catalogue, write_csv
from modest_rotor.formats.log_csv import read_log_file
from modest_rotor.formats.logger_csv import read_log
from modest_rotor.formats.readings_csv import propose, write_sets
from modest_rotor.formats.text import told
from tools.as_before.edges import edge_scenes, or_refusal
from tools.unchanged import bases

ROOT = Path(__file__).resolve().parents[2]
JOBS = ROOT / "tests" / "as_before" / "jobs.jsonl.gz"
CHARTS = (
    "208 230\n1600 3.9 3.6\n1800 4.5 4.2\n2000 5.2 4.8", "208 230\n1600 3.9", "a b\nc d e", "230 208\n1600 3.9 3.6\n1500 4 x",
)  # fmt: skip
"""One that can be read, and some that cannot."""
LOGGERS = (
    ("%d.%m.%Y %H:%M;", "Datum;Strom A", ","), ("%m/%d/%Y %I:%M %p,", "When,Motor mA", "."), ("%Y-%m-%dT%H:%M:%S\t", "time\tInput kW", "."),
    ("%Y-%m-%d,%H:%M,", "Date,Time,Motor on", "."), ("%d/%m/%Y %H:%M,", "Time,Motor A", "."),
)  # fmt: skip
"""Stamps, heads and decimal points in which loggers write."""
FAULTS = (None, Fault(Change.FILTER_LOADED, 1.6), Fault(Change.DRAG, 1.5), Fault(Change.VOLTS_LOW, 0.9))
Scene = tuple[str, Callable[[], dict[str, Any]]]
"""A scene's name and what works it: its parts by their names."""


@cache
def kept_jobs() -> tuple[Job, ...]:
    """The jobs that the demo ships, and those that were picked when the file was written."""
    with gzip.open(JOBS, "rt", encoding="utf-8") as file:
        return tuple(Job.model_validate_json(line) for line in file)


def scenes() -> list[Scene]:
    """Every scene."""
    jobs = [(f"job {number}", lambda job=job: told_of_job(job)) for number, job in enumerate(kept_jobs())]
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
        ("typed", _typed),
        *edge_scenes(),
    ]


def told_of_job(job: Job) -> dict[str, Any]:
    """Everything that is told of a job, by the parts of its assessment."""
    fit = fit_job(job)
    answer = assess(job, fit)
    report = build_report(job, answer, "2026-11-01", "r1", None)
    ids = tuple(one.id for one in job.document.options.candidates)
    asked = {"effects": lambda: effects(job, fit), "causes": lambda: causes(job, fit), "loaded": lambda: loaded(job, fit), "beside": lambda: beside(job, ids, fit)}  # fmt: skip
    more = {name: or_refusal(work) for name, work in asked.items()}
    return {name: getattr(answer, name) for name in type(answer).model_fields} | more | {"report": report}


def _bench(name: str) -> dict[str, Any]:
    """A stand at rest, turned to each end of each knob, run up, and asked why."""
    stand = stands()[name]
    plain = Turned().controls
    parts: dict[str, Any] = {"stand": [knob.model_dump() for knob in knobs_of(stand)], "waves": or_refusal(lambda: waves_of(stand, plain))}  # fmt: skip
    rig, state = settled(stand, plain)
    shown, at = [], State()
    for _ in range(8):
        at = advance(rig, at, 0.5)
        shown.append(meters(rig, at))
    parts |= {"run up": shown, "settled": meters(rig, state), "run down": meters(rig, advance(rig, state, 2.0, on=False), on=False)}  # fmt: skip
    for knob in knobs_of(stand):
        for end in _ends(knob):
            turned = or_refusal(lambda end=end, knob=knob: Turned.model_validate({knob.key: end}).controls)
            if not isinstance(turned, tuple):
                parts[f"{knob.key} {end}"] = (or_refusal(lambda to=turned: outlook(stand, to)), or_refusal(lambda to=turned: reasons(stand, plain, to)))  # fmt: skip
    return parts


def _ends(knob: Any) -> list[Any]:
    return [one.value for one in knob.choices] if knob.choices else [knob.low, knob.high]


def _hunts(level: int) -> dict[str, Any]:
    numbers = range((level - 1) * 1000, (level - 1) * 1000 + 10)
    return {
        str(number): (make_hunt(number).hidden, acts_on(make_hunt(number)), budget_of(number), cheapest_acts(number))
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
            healthy = {MEASURAND_OF[name]: value for name, value in values.items() if name in MEASURAND_OF}
            setup = machine_since(job, machine, healthy)
            if isinstance(setup, Absent):
                said[f"{job.machine.name} {number}"] = setup
                continue
            log = or_refusal(lambda setup=setup, fault=fault, at=references[0].setting: simulated_log(setup, np.random.default_rng(7), np.arange(0.0, 300.0, 3.0), fault, setting=at))  # fmt: skip
            if isinstance(log, tuple):
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
        "fan": (fan, [plant.Settings(run=True, frequency_hz=hertz, high_hz=50.0, ramp_up_s=6, ramp_down_s=4) for hertz in (40.0, 20.0, 50.0)]),
        "blower": (blower, [plant.Settings(run=True, signal_v=volts) for volts in (6.0, 2.0, 10.0, 0.5)]),
    }  # fmt: skip
    said: dict[str, Any] = {}
    for name, (machine, orders) in courses.items():
        state, seen = turning.State(), []
        for order in (*orders, plant.Settings(run=False)):
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


def _typed() -> dict[str, Any]:
    """What is typed in a row, a field or a chart: plates, every quantity in its units, and what is refused."""
    said: dict[str, Any] = {
        str(style): [read_line(line, style) for line, _ in PLATES]
        for style in (NumberStyle.POINT, NumberStyle.COMMA, None)
    }
    said["charts"] = [or_refusal(lambda text=text: amps_chart(Charts.model_construct(amps_chart=text, amps_chart_flow="cfm"))) for text in CHARTS]  # fmt: skip
    for name, what in all_quantities().items():
        texts = [f"{number} {unit.symbol}" for unit in what.units for number in ("1", "0", "-2", "12.5", "1/2", "3-4")]
        texts += ["7", "1,200", "1.234,5", "x", "", "9e9", "5 parsec", "1 2", "4 % 3"]
        said[name] = [or_refusal(lambda text=text, units=units, name=name: read_entry(name, text, units, None, None)) for text in texts for units in ("si", "ip")]  # fmt: skip
    return said


def _files() -> dict[str, Any]:
    """Files as they come: loggers', logs', readings', the catalogue's."""
    first = datetime(2026, 3, 20, tzinfo=UTC)
    stamps = [first + timedelta(minutes=7 * number) for number in range(400)]
    amps = [3.9 + 0.1 * math.sin(number) if number % 9 < 4 else 0.1 for number in range(400)]
    logger = "\n".join(["Time,Motor A", *(f"{at:%Y-%m-%d %H:%M},{value:.3f}" for at, value in zip(stamps, amps, strict=True))])  # fmt: skip
    rows = (f"{at:%Y-%m-%d %H:%M},{value:.2f},{400 + value:.1f},{21 + value:.1f}" for at, value in zip(stamps[::9], amps[::9], strict=True))  # fmt: skip
    log = "\n".join(["Logger 4711", "time,Line amps (A),Power [W],air °C", *rows, "1970-01-01 00:00,3,400,20", "nonsense,1,2,3"])  # fmt: skip
    sets = write_sets(bases()[0].document.readings)
    catalogue = (ROOT / "src/modest_rotor/demo/catalogue.csv").read_text(encoding="utf-8")  # fmt: skip
    read = read_catalogue(catalogue)
    written = {
        head: "\n".join(
            [
                head,
                *(f"{at:{stamp}}" + f"{value:.3f}".replace(".", mark) for at, value in zip(stamps, amps, strict=True)),
            ]
        )
        for stamp, head, mark in LOGGERS
    }
    odd = {"gap": stamps[:100] + stamps[180:], "back": stamps[:200] + stamps[190:390], "few": stamps[:4]}
    written |= {name: "\n".join(["Time,Motor A", *(f"{at:%Y-%m-%d %H:%M},{3.9 if at.minute < 20 else 0.1}" for at in ats)]) for name, ats in odd.items()}  # fmt: skip
    return {name: or_refusal(lambda text=text: read_log(text)) for name, text in written.items()} | {
        "logger": read_log(logger),
        "log": read_log_file(log, datetime(2026, 6, 1, tzinfo=UTC)),
        "readings": (sets, propose(sets, {}, {}, "ip", 60, "2026-06-01 12:00")),
        "catalogue": (read, write_csv(tuple(read.products))),
    }
