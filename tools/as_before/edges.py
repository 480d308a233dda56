"""Scenes at the edges: what is typed where it does not belong, files that are broken, commands that are refused, and every small function
of the core over a grid of its arguments.
"""

from __future__ import annotations

import io
import itertools
import json
import zipfile
from collections.abc import Callable, Iterator
from datetime import UTC, date, datetime, timedelta
from typing import Any
from zoneinfo import ZoneInfo

import numpy as np
from openpyxl import load_workbook
from tests.core.calculations.test_calculations import WORKED

from modest_rotor.core.assess import assess
from modest_rotor.core.assessment import Assessment
from modest_rotor.core.bench.course import course, topic_of
from modest_rotor.core.bench.hunt import make_hunt
from modest_rotor.core.bench.hunting import acts_on
from modest_rotor.core.calculations.book import all_calculations, work_out
from modest_rotor.core.changes import label_of, read_for, value_at, with_change, without_item
from modest_rotor.core.copying import CopyOf, copied
from modest_rotor.core.errors import ModestRotorError
from modest_rotor.core.first import prepared
from modest_rotor.core.identify.poles import possible_poles
from modest_rotor.core.identify.windings import order_of_speeds, read_windings
from modest_rotor.core.job import Job
from modest_rotor.core.phrase import Figure, figure
from modest_rotor.core.physics.traverse import TraverseRule, places_along_diameter, places_along_side, traverse_flow_m3s
from modest_rotor.core.quantities import all_quantities
from modest_rotor.core.report import build_report
from modest_rotor.core.setup.balancing import Tried, advise, advise_tap
from modest_rotor.core.setup.sweep import frequencies, out_of_bands, plan_sweep
from modest_rotor.core.statements import (
    STATEMENTS,
    Actor,
    answer_for_stop,
    mark_finding,
    record_approval,
    sign_step,
    withdraw,
)
from modest_rotor.core.stations.findings import MarkState
from modest_rotor.core.stations.setup import SignState
from modest_rotor.core.stations.traits import DriveTraits
from modest_rotor.core.tables import read_table
from modest_rotor.core.withheld import sound_part
from modest_rotor.formats import catalogue_files, readings_csv
from modest_rotor.formats.cells import heading_and_unit, plain_text, safe_text
from modest_rotor.formats.clock import kept_of, told_in, zone_of
from modest_rotor.formats.hunts_csv import HuntResult, write_hunts
from modest_rotor.formats.job_archive import read_archive, write_archive
from modest_rotor.formats.job_file import read_job, write_job
from modest_rotor.formats.log_csv import read_log_file
from modest_rotor.formats.logger_csv import read_log
from modest_rotor.formats.report_sheet import write_xlsx
from modest_rotor.formats.text import told, written
from modest_rotor.formats.visits_ics import DueVisit, write_visits
from tools.generate import fields_of_a_job
from tools.unchanged import bases

TYPED = ("", "x", "0", "-1", "12", "1e9", "3 V", "50 %", "yes", "2026-03-01 14:30", "2199-01-01 00:00", "a" * 5000)
"""What is typed anywhere, mostly where it does not belong."""
NOW = datetime(2026, 6, 1, 9, 30, tzinfo=UTC)
ACTORS = (Actor("A. Porter", "2026-06-01 09:30"), Actor("  ", "2026-06-01 09:30"))


def edge_scenes() -> list[tuple[str, Callable[[], dict[str, Any]]]]:
    """Every scene of this file."""
    return [(work.__name__.replace("_", " "), work) for work in (edits, statements, left_out, limits_of_calculations, grids, broken_files)]  # fmt: skip


def or_refusal(work: Callable[[], Any]) -> Any:
    """What comes of it, or the kind and words of its refusal."""
    try:
        return work()
    except ModestRotorError as refusal:
        return type(refusal).__name__, str(refusal), getattr(refusal, "field", None)


def edits() -> dict[str, Any]:
    """Every field of a whole job with everything typed into it; and paths that lead nowhere."""
    job, said = bases()[0], dict[str, Any]()
    for path in (*_paths(job), "nameplate", "nameplate/nothing", "readings/s99/current", "readings", "..", "machine/name", "nameplate/id", "a/b/c/d/e/f"):  # fmt: skip
        said.setdefault(path.partition("/")[0], {})[path] = [or_refusal(lambda path=path: label_of(job, path)), *(or_refusal(lambda path=path, text=text: _typed(job, path, text)) for text in TYPED)]  # fmt: skip
    said["removed"] = [or_refusal(lambda one=one: without_item(job, "readings", one)) for one in ("s1", "s77")]
    return said


def _typed(job: Job, path: str, text: str) -> Any:
    return value_at(with_change(job, path, read_for(job, path, text, "si")), path)


def _paths(job: Job) -> Iterator[str]:
    """The path of every field, in the first item of each list."""
    for name in fields_of_a_job():
        path = name
        while "/*" in path:
            place = path.split("/*", 1)[0]
            items = or_refusal(lambda place=place: value_at(job, place))
            if not isinstance(items, list) or not items or "id" not in items[0]:
                break
            path = path.replace("*", items[0]["id"], 1)
        else:
            yield path


def statements() -> dict[str, Any]:
    """Every statement of every shipped job, made and withdrawn, by somebody and by nobody."""
    said: dict[str, Any] = {}
    for number, job in enumerate(bases()):
        answer = assess(job)
        for actor in ACTORS:
            said[f"{number} {actor.name.strip()}"] = list(_said_of(job, answer, actor))
    return said


def _said_of(job: Job, answer: Assessment, actor: Actor) -> Iterator[Any]:
    for key in (*(one.key for one in answer.findings), "none"):
        yield or_refusal(lambda key=key: mark_finding(job, answer, key, MarkState.FIXED, "seen", actor))
    for option in answer.options.options:
        for check in (*(one.check for one in option.checks), "none"):
            yield or_refusal(lambda at=option.id, check=check: answer_for_stop(job, answer, at, check, "because", actor))  # fmt: skip
    for step, state in itertools.product((*(one.step for one in answer.setup.steps), "none"), SignState):
        yield or_refusal(lambda step=step, state=state: sign_step(job, answer, step, state, "seen", None, actor))
    for of, by in (("the drive", "the owner"), ("", "x"), ("x", " ")):
        yield or_refusal(lambda of=of, by=by: record_approval(job, of, by, "owner", actor))
    for path in (*STATEMENTS, "nameplate"):
        for one in (*(item["id"] for item in (value_at(job, path) if path in STATEMENTS else [])), "s99"):
            for why in ("wrong", " "):
                yield or_refusal(lambda path=path, one=one, why=why: withdraw(job, path, one, why, actor))


def left_out() -> dict[str, Any]:
    """What is left out of a job that fails for one value, for two together, or for everything; and jobs made of jobs."""
    job = bases()[0]
    refusal = ValueError("a fault")
    some = ("nameplate/rated_power", "readings/s1/current")

    def fails_with(*paths: str) -> Callable[[Job], bool]:
        return lambda tried: any(value_at(tried, path) is None for path in paths)

    said = {
        str(paths): sound_part(job, refusal, fails_with(*paths), newest).left_out
        for paths in (some[:1], some[1:], some)
        for newest in (None, some[0], "nameplate/poles")
    }
    said["everything"] = sound_part(job, refusal, lambda _: False).left_out
    made: dict[str, Any] = {f"copy {how}": copied(job, how, name) for how in CopyOf for name in ("", " other ")}
    empty = Job.model_validate({"site": {"name": "Site"}, "machine": {"name": "Fan"}})
    buildings = {row["building"] for row in read_table("duty_templates")}
    for building in (*sorted(buildings), "none", None):
        made[f"first {building}"] = or_refusal(lambda at=building: prepared(empty, "1/2 HP 1075 RPM 115 V 6.8 A", at))
    return said | made


def limits_of_calculations() -> dict[str, Any]:
    """Each calculation with each input at the ends of its quantity, missing, unreadable, with an uncertainty, and in words."""
    said: dict[str, Any] = {"all": all_calculations()}
    asked = {one.name: one for one in all_calculations()}
    for name, typed, _ in WORKED:
        for one in asked[name].inputs:
            texts = ["", "x", "0", "-1", "1000000", *one.choices, *_near(typed.get(one.name, one.default) or "1")]
            if one.quantity:
                what = all_quantities()[one.quantity]
                unit = what.reader_unit("si")
                texts += [f"{unit.from_si(end)!r} {unit.symbol}" for end in (what.low, what.high)]
            said[f"{name} {one.name}"] = [
                or_refusal(lambda name=name, typed={**typed, one.name: text}, units=units: told(work_out(name, typed, units), units))
                for text in texts
                for units in ("si", "ip")
            ]  # fmt: skip
        said[f"{name} unknown"] = or_refusal(lambda name=name, typed=typed: work_out(name, {**typed, "wrong": "1"}))
    return said


def _near(text: str) -> tuple[str, ...]:
    return f"{text} ± 2 %", f"{text} ± 0.5", f"{text} +/- x", text.upper(), f" {text} "


def grids() -> dict[str, Any]:
    """Small functions over grids of their arguments."""
    ohms = (0.0, 0.05, 2.0, 2.02, 3.0, 5.0, 5.1, 8.0, 2e6, -1.0)
    marks = ((), (31,), (25,), (50,), (24, 25, 26), (48, 49, 50), (30, 32, 34), (28, 33, 35, 44), tuple(range(26, 48)), tuple(range(30, 44)), (26, 27, 44, 45, 49))  # fmt: skip
    drives = (DriveTraits(most_bands=3, widest_band_hz=10), DriveTraits(most_bands=1, widest_band_hz=3), DriveTraits(most_bands=2, widest_band_hz=10, skips_ends=True, floor_hz=27))  # fmt: skip
    plans = {
        f"{mark} {place} {step}": or_refusal(lambda mark=mark, traits=traits, step=step: _swept(mark, step, traits))
        for mark in marks
        for place, traits in enumerate(drives)
        for step in (0.5, 1.0, 2.0)
    }
    tried = ((), ((40, 0.5),), ((40, 1.0),), ((40, 0.5), (50, 0.7)), ((40, 0.0), (50, 0.7)), ((20, 0.5), (50, 0.6)), ((50, 0.4), (50, 0.41)), ((20, 1.4),), ((40, 0.5), (45, 0.97)))  # fmt: skip
    curves = {"straight": lambda x: x / 40, "against": lambda x: max(x * x - 625, 0.0) ** 0.5 / 31, "flat": lambda x: 0.6 + x / 500}  # fmt: skip
    balanced = {
        f"{name} {made} {target}": or_refusal(
            lambda curve=curve, made=made, target=target: advise(
                curve, tuple(Tried(*one) for one in made), target, 20.0, 50.0, 0.05, 0.02
            )
        )
        for name, curve in curves.items()
        for made in tried
        for target in (0.0, 0.6, 1.0, 3.0)
    }
    taps = {
        f"{made} {target}": advise_tap((0.5, 0.7, 0.9), made, target, 0.05)
        for made in ((), ((0, 0.45),), ((1, 0.7),), ((1, 0.6), (2, 0.8)))
        for target in (0.4, 0.69, 0.8, 2.0)
    }
    return {
        "windings": [
            or_refusal(lambda three=three: read_windings(*three)) for three in itertools.product(ohms, repeat=3)
        ],
        "speeds": [or_refusal(lambda three=three: order_of_speeds(three)) for three in itertools.permutations(ohms, 3)],
        "poles": [
            or_refusal(lambda speed=speed, hz=hz, light=light: possible_poles(speed, hz, light))
            for speed in (0, 300, 850, 1075, 1150, 1185, 1199, 1430, 1750, 2950, 3599, 3600, 4000)
            for hz in (50.0, 60.0)
            for light in (True, False)
        ],
        "traverses": [
            or_refusal(lambda rule=rule, n=n, places=places: places(rule, n))
            for rule in TraverseRule
            for n in range(12)
            for places in (places_along_side, places_along_diameter)
        ],
        "traversed": [
            or_refusal(lambda p=p, area=area: traverse_flow_m3s(np.array(p), area, 1.2))
            for p in ([], [10.0, 20.0], [0.0], [-1.0, 3.0])
            for area in (0.0, 0.3)
        ],
        "topics": [topic_of(one.before, other.after) for one in course() for other in course()],
        "course": course(),
        "acts": [acts_on(make_hunt(number)) for number in range(0, 3000, 100)],
        "sweeps": plans,
        "swept": [
            or_refusal(lambda a=a, b=b, c=c: frequencies(a, b, c))
            for a in (0, 25, 50)
            for b in (25, 27.3, 50)
            for c in (0, 0.7, 1)
        ],
        "balancing": balanced,
        "taps": taps,
        "written": _written(),
        "words": [
            (safe_text(text), plain_text(text), heading_and_unit(text))
            for text in ("=1", "'=1", "'a", "\t1", " +x", "a\x00b", "(A)", "amps [A]", "amps (A", "x ( y ) (kW)")
        ],
        "clocks": [
            (
                or_refusal(lambda name=name: str(zone_of(name))),
                [
                    (told_in(zone, text), kept_of(zone, text))
                    for zone in (UTC, ZoneInfo("Europe/Lisbon"))
                    for text in ("2026-03-29 00:30", "2026-07-01 12:00", "x", "0001-01-01 00:00")
                ],
            )
            for name in ("", "Europe/Lisbon", "../x", "Nowhere/At", "a/b/c/d")
        ],
    }


def _swept(marks: tuple[int, ...], step: float, traits: DriveTraits) -> Any:
    plan = plan_sweep(marks, 25, 50, step, 0.5, traits)
    return plan, [out_of_bands(hertz, plan) for hertz in np.arange(20.0, 55.0, 0.7)]


def _written() -> list[str]:
    """Figures of every quantity, in both systems: great and small, with an uncertainty, lopsided and open."""
    said = []
    for name in all_quantities():
        for value in (0.0, 0.004, 0.37, 5.5, 98.76, 12345.6, -2.5):
            shapes = (
                figure(name, value), Figure(quantity=name, value=value, uncertainty=0.06 * abs(value)),
                Figure(quantity=name, value=value, low=value * 0.7, high=value * 1.4), Figure(quantity=name, value=value, low=value),
            )  # fmt: skip
            said += [written(one, units, "EUR") for one in shapes for units in ("si", "ip")]  # type: ignore[arg-type]
    return said


def broken_files() -> dict[str, Any]:
    """Files of every kind, whole and broken in every way that files are."""
    stamps = [datetime(2026, 3, 20, tzinfo=UTC) + timedelta(minutes=7 * number) for number in range(60)]
    logger = "\n".join(["Time,Motor A,Input kW", *(f"{at:%Y-%m-%d %H:%M},{3.9 if at.minute < 20 else 0.1},{at.minute / 100:.2f}" for at in stamps)])  # fmt: skip
    log = "\n".join(["time,Line amps (A),Power [W],air °C,motor amps", *(f"{at:%d/%m/%Y %H:%M},3.{at.minute},4{at.minute},21,x" for at in stamps[:20])])  # fmt: skip
    sets = readings_csv.write_sets(bases()[0].document.readings)
    products = catalogue_files.read_catalogue(_catalogue()).products
    readers: dict[str, tuple[str, Callable[[str], Any]]] = {
        "logger": (logger, lambda text: (read_log(text), read_log(text, "Input kW"), or_refusal(lambda: read_log(text, "none")), or_refusal(lambda: read_log(text, None, "month-first")))),
        "log": (log, lambda text: (read_log_file(text, NOW), or_refusal(lambda: read_log_file(text, NOW, {"air °C": "speed"}, {"Line amps (A)": "mA"}, "day-first", "ip", ZoneInfo("Europe/Lisbon"))), or_refusal(lambda: read_log_file(text, NOW, {"motor amps": "current"})))),
        "sets": (sets, lambda text: [readings_csv.propose(text, mapping, {}, units, room, "2026-06-01 12:00", "Europe/Lisbon") for mapping, units, room in (({}, "si", 9), ({}, "ip", 60), ({"Amps": "current"}, "si", 60))]),
        "catalogue": (_catalogue(), lambda text: (read := catalogue_files.read_catalogue(text), catalogue_files.propose(read, tuple(products[:3])), catalogue_files.write_csv(tuple(read.products)))),
        "catalogue as JSON": (catalogue_files.write_json(tuple(products[:4])), catalogue_files.read_catalogue),
        "job": (write_job(bases()[0]), read_job),
    }  # fmt: skip
    said = {
        kind: {how: or_refusal(lambda text=text, read=read: read(text)) for how, text in _broken(whole)}
        for kind, (whole, read) in readers.items()
    }
    return said | _job_files() | _sheets()


def _catalogue() -> str:
    from tools.as_before.scenes import ROOT

    return (ROOT / "src/modest_rotor/demo/catalogue.csv").read_text(encoding="utf-8")


def _broken(text: str) -> Iterator[tuple[str, str]]:
    """A text in every way that files come broken."""
    lines = text.splitlines()
    head, rows = lines[0], lines[1:]
    yield "whole", text
    yield from {
        "empty": "", "a head alone": head, "no head": "\n".join(rows), "one row": "\n".join(lines[:2]), "marked": f"\ufeff{text}",
        "no text": f"{text}\0", "other marks": text.replace(",", ";"), "tabs": text.replace(",", "\t"), "twice": f"{text}\n{text}",
        "rows twice": "\n".join([head, *rows, *rows]), "backwards": "\n".join([head, *reversed(rows)]), "a long cell": f"{text}\n{'z' * 9000}",
        "short rows": "\n".join([head, *(row.rpartition(',')[0] for row in rows)]), "capitals": text.upper(), "much above": f"a\nb,c\n{text}",
        "a heading twice": "\n".join([f"{head},{head.rpartition(',')[2]}", *(f"{row},1" for row in rows)]), "formulas": text.replace(",", ",=", 40),
        "wide": "\n".join(row + ",1" * 300 for row in lines), "quotes open": text.replace(",", ',"', 1),
    }.items()  # fmt: skip
    for place in range(min(head.count(",") + 1, 40)):
        cut = [line.split(",") for line in lines]
        yield f"without column {place}", "\n".join(",".join(row[:place] + row[place + 1 :]) for row in cut)
        for wrong in ("x", "-1", "1e12", ""):
            changed = [[*row[:place], wrong, *row[place + 1:]] if number == 2 else row for number, row in enumerate(cut)]  # fmt: skip
            yield f"column {place} {wrong!r}", "\n".join(",".join(row) for row in changed)


def _job_files() -> dict[str, Any]:
    """Job files whose every part is missing or something else, and archives of them."""
    data = json.loads(write_job(bases()[0]))
    made = {f"{name} {wrong!r}": {**data, name: wrong} for name in data for wrong in (None, "x", 7, [], {})}
    made |= {f"without {name}": {key: value for key, value in data.items() if key != name} for name in data}
    said: dict[str, Any] = {"job with": {how: or_refusal(lambda one=one: read_job(json.dumps(one))) for how, one in made.items()}}  # fmt: skip
    packed = write_archive((*bases(), bases()[0]))
    out = io.BytesIO(packed)
    with zipfile.ZipFile(out, "a") as archive:
        for name, content in (("a.json", "[]"), ("b.json", b"\xff\xfe"), ("c.txt", "x"), ("d/", "")):
            archive.writestr(name, content)
    said["archive"] = [(one.file, one.reason, one.job and one.job.machine.name) for one in read_archive(out.getvalue())]
    said["no archive"] = [or_refusal(lambda data=data: read_archive(data)) for data in (b"", b"PK\3\4", packed[:400])]
    return said


def _sheets() -> dict[str, Any]:
    """What goes out: the spreadsheet of each shipped job, visits, hunts."""
    said: dict[str, Any] = {}
    for number, (job, units) in enumerate(itertools.product(bases(), ("si", "ip"))):
        answer = assess(job)
        report = build_report(job, answer, "2026-11-01", "r1", None)
        book = load_workbook(io.BytesIO(write_xlsx(report, answer.options.options, units)))  # type: ignore[arg-type]
        said[f"sheet {number}"] = {sheet.title: [[cell.value for cell in row] for row in sheet] for sheet in book}
    visits = (DueVisit(7, "Fan; loft", "Site, north", date(2026, 5, day), ("filter at ", figure("pressure", 250.0)), "http://127.0.0.1/") for day in (1, 31))  # fmt: skip
    said["visits"] = write_visits(visits, NOW, "ip", date(2026, 5, 15)).decode()
    hunt = {"who": "=A", "at": NOW, "number": 4, "level": 2, "machine": "fan", "ending": "named", "minutes": 23, "budget": 40, "cheapest": 12, "hidden": "weak", "named": "weak", "next_step": "µF", "next_right": True, "acts": "felt"}  # fmt: skip
    said["hunts"] = write_hunts([HuntResult.model_validate(hunt), HuntResult.model_validate(hunt | {"next_right": False})])  # fmt: skip
    return said
