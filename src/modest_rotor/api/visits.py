"""The next visits over HTTP: which machine wants one first, and a file of them for a calendar."""

from __future__ import annotations

from datetime import UTC, datetime, timedelta

from fastapi import APIRouter, Request, Response

from modest_rotor.api.contracts import ZoneName
from modest_rotor.core.phrase import Phrase, WithWords
from modest_rotor.core.quantities import UnitSystem
from modest_rotor.formats.clock import zone_of
from modest_rotor.formats.visits_ics import DueVisit, write_visits
from modest_rotor.store import logs
from modest_rotor.store.database import with_connection

router = APIRouter(prefix="/api", tags=["log"])
FARTHEST = timedelta(days=100_000)
CALENDAR = "text/calendar; charset=utf-8"


class Visit(WithWords):
    """A machine that wants to be visited."""

    machine_id: int
    job_id: int
    machine: str
    site: str
    drifts: bool
    due: datetime | None
    overdue: bool
    why: Phrase
    readings: int


@router.get("/visits")
@with_connection
def visits() -> list[Visit]:
    """Every machine with a log, the one that wants a visit first at the top."""
    return _visits(datetime.now(UTC))


@router.get("/visits.ics")
@with_connection
def visits_file(request: Request, units: UnitSystem = "si", zone: ZoneName = "") -> Response:
    """The visits that have a date, as a calendar file of days on the reader's clock; the links lead to where this was asked."""
    now, clock = datetime.now(UTC), zone_of(zone)
    due = [
        DueVisit(
            machine_id=one.machine_id,
            machine=one.machine,
            site=one.site,
            due=one.due.astimezone(clock).date(),
            why=one.why,
            link=f"{request.base_url}jobs/{one.job_id}/log",
        )
        for one in _visits(now)
        if one.due is not None
    ]
    headers = {"content-disposition": 'attachment; filename="next-visits.ics"'}
    return Response(write_visits(due, now, units, now.astimezone(clock).date()), media_type=CALENDAR, headers=headers)


def _visits(now: datetime) -> list[Visit]:
    found = []
    for machine_id, job_id, machine, site in logs.machines_with_logs():
        answer = logs.answer_if_any(machine_id)
        if answer is None:
            continue
        due = logs.at_of(answer.next_day) if answer.next_day is not None else None
        found.append(
            Visit(
                machine_id=machine_id,
                job_id=job_id,
                machine=machine,
                site=site,
                drifts=answer.drifts,
                due=due,
                overdue=due is not None and due <= now,
                why=answer.next_why or answer.sentence,
                readings=answer.readings,
            )
        )
    return sorted(found, key=lambda one: (not one.drifts, one.due or now + FARTHEST, one.machine))
