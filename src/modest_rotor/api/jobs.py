"""Jobs over HTTP: read, begun, edited field by field, undone, taken out and in as files."""

from __future__ import annotations

import re

from fastapi import APIRouter, Request, Response

from modest_rotor.api.contracts import (
    Change,
    Draft,
    Edit,
    JobFile,
    JobView,
    NewJob,
    Preview,
    Problem,
    Step,
    Words,
    view,
)
from modest_rotor.core.assessment import Assessment
from modest_rotor.core.changes import label_of, next_id, read_for, value_at, with_change, without_item
from modest_rotor.core.entry import Entry
from modest_rotor.core.errors import ChangeRefused, Refusal
from modest_rotor.core.options.needles import NeedleTable
from modest_rotor.formats.job_file import job_from_data, write_job
from modest_rotor.store import jobs
from modest_rotor.store.database import with_connection
from modest_rotor.store.fits import assess_job, assess_on_last_fit, needles_of_job

router = APIRouter(prefix="/api", tags=["jobs"])

NO_SITE = "Jobs without a site"
LISTS = {"readings": "set", "duty/steps": "step"}


@router.get("/board")
@with_connection
def board() -> tuple[jobs.BoardSite, ...]:
    """Every site with its jobs, each told in one line."""
    return jobs.all_jobs_by_site()


@router.post("/jobs", status_code=201)
@with_connection
def begin(new: NewJob) -> JobView:
    """Begin a job with nothing but a machine's name."""
    name = new.machine_name.strip()
    if not name:
        raise ChangeRefused("A job needs the name of its machine, and nothing else.")
    return _view(jobs.begin_job(name, (new.site_name or "").strip() or NO_SITE, new.units))


@router.get("/jobs/{job_id}")
@with_connection
def read(job_id: int) -> JobView:
    """A job and everything that follows from it."""
    return _view(jobs.load(job_id))


@router.post("/jobs/{job_id}/changes")
@with_connection
def change(job_id: int, edit: Edit, request: Request) -> JobView:
    """Save one edit of one field; refused when the job has moved on since ``revision``."""
    request.state.path = edit.path
    stored = jobs.load(job_id)
    after, label = edit.value, None
    if edit.text is not None:
        after = read_for(stored.job, edit.path, edit.text, edit.units)
        label = _label(label_of(stored.job, edit.path), after)
    return _view(jobs.save_change(job_id, edit.revision, edit.path, after, edit.who, label))


@router.get("/jobs/{job_id}/changes")
@with_connection
def history(job_id: int) -> list[Change]:
    """Every change of a job, oldest first; they are kept for ever."""
    fields = ("id", "path", "label", "before", "after", "who", "at", "kind")
    return [Change(**{field: getattr(row, field) for field in fields}) for row in jobs.changes_of(job_id)]


@router.post("/jobs/{job_id}/preview")
@with_connection
def preview(job_id: int, draft: Draft) -> Preview:
    """What would follow from a draft; nothing is saved. At once, on the motor as last fitted, unless ``refined`` is asked."""
    job = jobs.load(job_id).job
    try:
        after = read_for(job, draft.path, draft.text, draft.units)
        changed = with_change(job, draft.path, after)
    except Refusal as refusal:
        return Preview(problem=Problem(field=draft.path, sentence=refusal.sentence))
    assessment = assess_job(changed) if draft.refined else assess_on_last_fit(changed, job)
    return Preview(entry=after if isinstance(after, Entry) else None, assessment=assessment)


@router.get("/jobs/{job_id}/needles")
@with_connection
def needle_moves(job_id: int) -> NeedleTable:
    """What every meter would show if one thing changed on the machine as found."""
    return needles_of_job(jobs.load(job_id).job)


@router.post("/jobs/{job_id}/undo")
@with_connection
def undo(job_id: int, step: Step) -> JobView:
    """Take back the newest edit."""
    return _view(jobs.undo(job_id, step.revision, step.who))


@router.post("/jobs/{job_id}/redo")
@with_connection
def redo(job_id: int, step: Step) -> JobView:
    """Put back the edit that was taken back last."""
    return _view(jobs.redo(job_id, step.revision, step.who))


@router.post("/jobs/{job_id}/items/{name:path}")
@with_connection
def add_item(job_id: int, name: str, step: Step) -> JobView:
    """Add an empty set of readings (``readings``) or duty step (``duty/steps``)."""
    job = jobs.load(job_id).job
    kind = _list_kind(name)
    items = value_at(job, name)
    after = [*items, {"id": next_id(items)}]
    return _view(jobs.save_change(job_id, step.revision, name, after, step.who, f"{kind} {len(after)} added"))


@router.delete("/jobs/{job_id}/items/{name:path}")
@with_connection
def remove_item(job_id: int, name: str, revision: str, who: Words = "") -> JobView:
    """Remove a set (``readings/s2``) or step (``duty/steps/s3``); undo brings it back."""
    name, _, item = name.rpartition("/")
    kind = _list_kind(name)
    job = jobs.load(job_id).job
    return _view(jobs.save_change(job_id, revision, name, without_item(job, name, item), who, f"{kind} removed"))


@router.get("/jobs/{job_id}/file")
@with_connection
def take_out(job_id: int) -> Response:
    """The job as a file of the project's open format."""
    job = jobs.load(job_id).job
    name = re.sub(r"[^a-z0-9]+", "-", job.machine.name.lower()).strip("-") or "job"
    headers = {"content-disposition": f'attachment; filename="{name}.json"'}
    return Response(write_job(job), media_type="application/json", headers=headers)


@router.post("/jobs/file", status_code=201)
@with_connection
def take_in(file: JobFile) -> JobView:
    """Take in a job file as a new job."""
    return _view(jobs.keep_job(job_from_data(file.job)))


@router.post("/assess")
def assess_file(file: JobFile) -> Assessment:
    """The assessment of a job file, without keeping it."""
    return assess_job(job_from_data(file.job))


def _view(stored: jobs.StoredJob) -> JobView:
    return view(stored, assess_job(stored.job))


def _label(field: str, after: Entry | str | None) -> str:
    if isinstance(after, Entry):
        bare = after.typed.replace(",", "").replace(".", "").isdigit()
        return f"{field}, {after.typed}{' ' + after.unit if bare else ''}"
    return field if after is None else f"{field}, {after[:30]}"


def _list_kind(name: str) -> str:
    if name not in LISTS:
        raise ChangeRefused(f"A job has no list called “{name[:80]}”.")
    return LISTS[name]
