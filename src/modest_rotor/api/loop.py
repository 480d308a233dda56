"""A closed loop over HTTP: gains to be tried, a step test run on the drive, and the closed loop watched."""

from __future__ import annotations

from fastapi import APIRouter, Response
from pydantic import Field

from modest_rotor.api.contracts import JobView, Step, actor_now, view
from modest_rotor.api.setup import Confirmed, Wanted, plan_for
from modest_rotor.core.commands.setting_up import TryGains
from modest_rotor.core.errors import ChangeRefused
from modest_rotor.core.phrase import WithWords
from modest_rotor.core.say import say
from modest_rotor.core.setup.loop import LoopAnswer
from modest_rotor.devices.loop_run import (
    LoopOrder,
    LoopRunView,
    RunKind,
    RunState,
    begin_run,
    loop_run_of,
    refuse_second_run,
)
from modest_rotor.devices.sweep_run import refuse_second
from modest_rotor.devices.writing import What, bands_held, carry_out, moved_set_point, step_of
from modest_rotor.store import jobs
from modest_rotor.store.database import with_connection
from modest_rotor.store.devices import KeptDevice
from modest_rotor.store.fits import assess_job
from modest_rotor.store.jobs import StoredJob

router = APIRouter(prefix="/api", tags=["set-up"])


class LoopRunAnswer(WithWords):
    """The step test or watch of a job's loop, if there was one."""

    run: LoopRunView | None


class LoopWatchIn(Confirmed):
    """A watch that was seen and confirmed, and how long it looks."""

    what: What = What.WATCH
    seconds: float = Field(default=60.0, ge=10, le=600)


@router.post("/jobs/{job_id}/setup/loop/tries", response_model=JobView)
@with_connection
def try_gains(job_id: int, said: Step) -> Response:
    """Gains to be tried: those that follow from what was seen at the last ones, else the first ones; or empty ones to be typed."""
    return view(jobs.carry_out(job_id, said.revision, TryGains(), actor_now(said.who)))


@router.get("/jobs/{job_id}/setup/loop-run")
@with_connection
def loop_run(job_id: int) -> LoopRunAnswer:
    """The step test or watch that is under way, or ended last."""
    run = loop_run_of(job_id)
    return LoopRunAnswer(run=run.view() if run else None)


@router.post("/jobs/{job_id}/setup/loop-run/step")
@with_connection
def start_step(job_id: int, said: Confirmed) -> LoopRunAnswer:
    """Put the loop in hand, run to the first frequency, and step to the second once the value stands; after that was seen."""
    stored = jobs.load(job_id)
    kept, loop = _written(stored, What.STEP, said)
    order = LoopOrder(RunKind.STEP, _span(loop), *step_of(loop, bands_held(kept)))
    return LoopRunAnswer(run=begin_run(job_id, kept.id, order, said.who.strip()).view())


@router.post("/jobs/{job_id}/setup/loop-run/watch")
@with_connection
def start_watch(job_id: int, said: LoopWatchIn) -> LoopRunAnswer:
    """Close the loop with its set point moved by a tenth of the range, move it back once it stands, and look; after that was seen."""
    stored = jobs.load(job_id)
    kept, loop = _written(stored, What.WATCH, said)
    assert loop.set_point.figure is not None
    order = LoopOrder(
        RunKind.WATCH, _span(loop), moved_set_point(loop), loop.set_point.figure.value, watch_s=said.seconds
    )
    return LoopRunAnswer(run=begin_run(job_id, kept.id, order, said.who.strip()).view())


def _written(stored: StoredJob, what: What, said: Confirmed) -> tuple[KeptDevice, LoopAnswer]:
    """What a run begins with, written and read back. :raises ChangeRefused: something else is under way, or it was not taken."""
    kept, shown = plan_for(stored, Wanted(what=what))
    refuse_second(stored.id, kept.id)
    refuse_second_run(stored.id, kept.id)
    outcomes = carry_out(kept, stored.id, shown, said.digest, said.who.strip())
    if not all(one.agrees for one in outcomes):
        raise ChangeRefused(say("api-loop-written", next=next(one.sentence for one in outcomes if not one.agrees)))
    return kept, _loop_of(stored)


@router.post("/jobs/{job_id}/setup/loop-run/stop")
@with_connection
def end_loop_run(job_id: int) -> LoopRunAnswer:
    """End it; a set point that was moved for a watch is put back, and the drive goes on."""
    run = loop_run_of(job_id)
    if run is None or run.state is not RunState.RUNNING:
        raise ChangeRefused(say("api-loop-end-loop-run"))
    run.end()
    return LoopRunAnswer(run=run.view())


def _loop_of(stored: StoredJob) -> LoopAnswer:
    loop = assess_job(stored.job).setup.loop
    if loop is None:
        raise ChangeRefused(say("api-loop-loop-of"))
    return loop


def _span(loop: LoopAnswer) -> float:
    if loop.range is None or loop.range.value <= 0:
        raise ChangeRefused(say("api-loop-span"))
    return loop.range.value
