"""Jobs over HTTP: read, begun, edited field by field, undone, taken out and in as files."""

from __future__ import annotations

import re
from typing import Annotated

from fastapi import APIRouter, Query, Request, Response
from fastapi.concurrency import run_in_threadpool

from modest_rotor.api.apart import solved
from modest_rotor.api.contracts import (
    Change,
    Draft,
    Edit,
    FirstIn,
    JobFile,
    JobView,
    NewJob,
    NodesAnswer,
    Place,
    Preview,
    Problem,
    SiteNumbers,
    Step,
    Words,
    actor_now,
    refuse_sets_of_the_future,
    view,
)
from modest_rotor.core.assessment import Assessment
from modest_rotor.core.changes import read_for, with_change
from modest_rotor.core.commands import Command
from modest_rotor.core.commands.fields import AddItem, FillPlate, PrepareFirstAnswer, RemoveItem, SetValue, TypeValue
from modest_rotor.core.errors import ChangeRefused, UnknownItem
from modest_rotor.core.options.answers import LoadedAnswer
from modest_rotor.core.options.beside import MOST_BESIDE, BesideAnswer
from modest_rotor.core.options.effects import EffectTable
from modest_rotor.core.options.ranked_causes import RankedCauses
from modest_rotor.core.options.step_working import StepWorkings
from modest_rotor.core.say import say
from modest_rotor.core.stations.readings import Stage
from modest_rotor.formats.job_file import job_from_data, write_job
from modest_rotor.store import jobs
from modest_rotor.store.database import with_connection
from modest_rotor.store.fits import assess_job, causes_of_job, effects_of_job
from modest_rotor.store.solving import beside_here, loaded_here, name_of, preview_here
from modest_rotor.workers.process import Overtaken
from modest_rotor.workers.solvers import Level

router = APIRouter(prefix="/api", tags=["jobs"])

RENEWED_AT_A_LOOK = 1
"""Logs that a look at the Board judges anew; the others follow beside the requests."""
NO_SITE = say("api-jobs-no-site")


@router.post("/jobs", status_code=201, response_model=JobView)
@with_connection
def begin(new: NewJob) -> Response:
    """Begin a job with nothing but a machine's name."""
    name = new.machine_name.strip()
    if not name:
        raise ChangeRefused(say("api-jobs-begin"))
    return view(jobs.begin_job(name, (new.site_name or "").strip() or NO_SITE, new.units, line=new.line), 201)


@router.get("/jobs/{job_id}", response_model=JobView)
@with_connection
def read(job_id: int) -> Response:
    """A job and everything that follows from it."""
    return view(jobs.load(job_id), whole=True)


@router.post("/jobs/{job_id}/changes", response_model=JobView)
@with_connection
def change(job_id: int, edit: Edit, request: Request) -> Response:
    """Save one edit of one field; refused when the job has moved on since ``revision``."""
    request.state.path = edit.path
    command = SetValue(edit.path, edit.value) if edit.text is None else TypeValue(edit.path, edit.text, edit.units)
    return view(jobs.carry_out(job_id, edit.revision, command, actor_now(edit.who)))


@router.put("/jobs/{job_id}/site/numbers", response_model=JobView)
@with_connection
def say_numbers(job_id: int, said: SiteNumbers) -> Response:
    """Say how numbers are written at a job's site: what is typed there from now on is read so."""
    return view(jobs.say_numbers(job_id, said.numbers), whole=True)


@router.get("/jobs/{job_id}/changes")
@with_connection
def history(job_id: int) -> list[Change]:
    """Every change of a job, oldest first; they are kept for ever."""
    fields = ("id", "path", "label", "before", "after", "who", "at", "kind")
    return [Change(**{field: getattr(row, field) for field in fields}) for row in jobs.changes_of(job_id)]


@router.post("/jobs/{job_id}/preview", response_model=Preview)
async def preview(job_id: int, draft: Draft) -> Response | Preview:
    """What would follow from a draft; nothing is saved. At once, on the motor as last fitted, unless ``refined`` is asked.

    Drafts of many people are worked out in turn; of one window only the newest, and one that was overtaken gets no answer.
    """
    job = await run_in_threadpool(with_connection(jobs.job_of), job_id)
    try:
        found = await solved(
            preview_here,
            job,
            draft.path,
            draft.text,
            draft.units,
            draft.refined,
            person=draft.window or job_id,
            about=name_of(job),
            newest=bool(draft.window),
            level=Level.REFINED if draft.refined else Level.LOOK,
        )
    except Overtaken:
        return Preview()
    if found.nodes is None:
        return Preview(problem=Problem(field=draft.path, sentence=found.problem or say("api-jobs-module")))
    return NodesAnswer(f'{{"entry":{found.entry},"problem":null}}', found.nodes)


@router.get("/jobs/{job_id}/effects")
@with_connection
def effects(job_id: int) -> EffectTable:
    """What every meter would show if one thing changed on the machine as found."""
    return effects_of_job(jobs.job_of(job_id))


@router.post("/jobs/{job_id}/undo", response_model=JobView)
@with_connection
def undo(job_id: int, step: Step) -> Response:
    """Take back the newest edit."""
    return view(jobs.undo(job_id, step.revision, step.who))


@router.post("/jobs/{job_id}/redo", response_model=JobView)
@with_connection
def redo(job_id: int, step: Step) -> Response:
    """Put back the edit that was taken back last."""
    return view(jobs.redo(job_id, step.revision, step.who))


@router.post("/jobs/{job_id}/items/{name:path}", response_model=JobView)
@with_connection
def add_item(job_id: int, name: Place, step: Step, like: str | None = None, stage: Stage | None = None) -> Response:
    """Add a set of readings (``readings``), a duty step (``duty/steps``), a lead or a call; empty, or like another item.

    :param stage: of a set, where it is known from where it was added.
    """
    return _done(job_id, step, AddItem(name, like, stage))


@router.delete("/jobs/{job_id}/items/{name:path}", response_model=JobView)
@with_connection
def remove_item(job_id: int, name: Place, revision: str, who: Words = "") -> Response:
    """Remove a set (``readings/s2``) or step (``duty/steps/s3``); undo brings it back."""
    return view(jobs.carry_out(job_id, revision, RemoveItem(name), actor_now(who)))


@router.post("/jobs/{job_id}/plate-line", response_model=JobView)
@with_connection
def fill_plate(job_id: int, step: Step) -> Response:
    """Put what the plate's typed line was taken for into the plate's fields, in one change."""
    return _done(job_id, step, FillPlate())


@router.post("/jobs/{job_id}/first", response_model=JobView)
@with_connection
def first_answer(job_id: int, said: FirstIn) -> Response:
    """Put in what a first answer needs and the job has not: a set to be typed, the usual candidates, a year by kind of building."""
    return _done(job_id, said, PrepareFirstAnswer(said.building or None))


@router.get("/jobs/{job_id}/causes")
@with_connection
def ranked_causes(job_id: int) -> RankedCauses:
    """What explains the last set of readings, the likeliest cause first."""
    return causes_of_job(jobs.job_of(job_id))


@router.get("/jobs/{job_id}/loaded")
async def loaded(job_id: int, resistance_factor: Annotated[str, Query(max_length=40)] = "") -> tuple[LoadedAnswer, ...]:
    """What each option moves and takes as the filter loads, its setting left as it is.

    :param resistance_factor: the state of the system that is asked about, as typed and not saved yet; else the one that was saved.
    """
    job = await run_in_threadpool(with_connection(jobs.job_of), job_id)
    if resistance_factor:
        job = with_change(
            job, "options/resistance_factor", read_for(job, "options/resistance_factor", resistance_factor, "si")
        )
    return await solved(loaded_here, job, about=name_of(job))


@router.get("/jobs/{job_id}/beside")
async def beside(
    job_id: int, options: Annotated[list[str], Query(min_length=2, max_length=MOST_BESIDE)]
) -> BesideAnswer:
    """Options side by side, the others held against the first: each difference from its own uncertainty, shared errors cancelled."""
    job = await run_in_threadpool(with_connection(jobs.job_of), job_id)
    return await solved(beside_here, job, tuple(options), about=name_of(job))


@router.get("/jobs/{job_id}/options/{option_id}/steps/{step_id}/workings")
@with_connection
def workings(job_id: int, option_id: str, step_id: str) -> StepWorkings:
    """How one step of one option came about."""
    options = assess_job(jobs.job_of(job_id)).options.options
    steps = next((one.steps for one in options if one.id == option_id), ())
    found = next((step.workings for step in steps if step.id == step_id), None)
    if found is None:
        raise UnknownItem(say("api-jobs-workings"))
    return found


@router.get("/jobs/{job_id}/file")
@with_connection
def take_out(job_id: int) -> Response:
    """The job as a file of the project's open format."""
    job = jobs.load(job_id).job
    name = re.sub(r"[^a-z0-9]+", "-", job.machine.name.lower()).strip("-") or "job"
    headers = {"content-disposition": f'attachment; filename="{name}.json"'}
    return Response(write_job(job), media_type="application/json", headers=headers)


@router.post("/jobs/file", status_code=201, response_model=JobView)
@with_connection
def take_in(file: JobFile) -> Response:
    """Take in a job file as a new job."""
    job = job_from_data(file.job)
    refuse_sets_of_the_future(job)
    return view(jobs.keep_job(job), 201)


@router.post("/assess")
def assess_file(file: JobFile) -> Assessment:
    """The assessment of a job file, without keeping it."""
    return assess_job(job_from_data(file.job))


def _done(job_id: int, step: Step, command: Command) -> Response:
    """A command carried out on the job that its window knows."""
    return view(jobs.carry_out(job_id, step.revision, command, actor_now(step.who)))
