"""A first answer: what a job needs for it, put in where nothing stands yet; nothing that was said is touched."""

from __future__ import annotations

from typing import Any

from modest_rotor.core.entry import read_entry
from modest_rotor.core.errors import ChangeRefused
from modest_rotor.core.job import Job
from modest_rotor.core.say import say
from modest_rotor.core.stations.duty import HoursFrom
from modest_rotor.core.stations.nameplate import Nameplate
from modest_rotor.core.stations.options import USUAL
from modest_rotor.core.stations.plate_line import read_line
from modest_rotor.core.tables import read_table


def prepared(job: Job, line: str = "", building: str | None = None) -> Job:
    """The job with an empty set of readings, the usual candidates, the plate's line read, and a year where a building is named.

    :param line: the plate as typed in one line; what is doubtful in it is asked about on Nameplate and written nowhere.
    :param building: of the table duty_templates: its running hours as one step at full flow, marked assumed. Part flow would save
        more, and is not promised before it is said how it is met today.
    :raises ChangeRefused: there is no such building.

    Source: the table, invented; what is looked at first is common practice.
    """
    data: dict[str, Any] = job.document.model_dump(mode="json")
    if line.strip() and job.document.nameplate == Nameplate():
        read = read_line(line, job.site.style_of(job.site.units))
        data["nameplate"] = data["nameplate"] | {"line": line.strip()} | read.values
    if not data["readings"]:
        data["readings"] = [{"id": "s1", "name": say("term-as-found")}]
    if not data["options"]["candidates"]:
        data["options"]["candidates"] = [{"id": one.id, "kind": one.kind} for one in USUAL]
    if building is not None and not data["duty"]["steps"]:
        data["duty"]["steps"] = [_year_of(building)]
    return job.model_copy(update={"document": type(job.document).model_validate(data)})


def _year_of(building: str) -> dict[str, Any]:
    rows = [row for row in read_table("duty_templates") if row["building"] == building]
    if not rows:
        raise ChangeRefused(say("first-year-of-there-template", building=building))
    hours = sum(float(row["hours"]) for row in rows)
    return {
        "id": "s1",
        "name": say("first-year-of-assumed", building=building),
        "hours": read_entry("hours", f"{hours:.0f} h"),
        "flow_share": read_entry("flow_share", "100 %"),
        "hours_from": HoursFrom.TEMPLATE,
    }
