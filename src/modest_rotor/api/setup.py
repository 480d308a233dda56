"""Set-up over HTTP: steps signed, settings tried, devices read and written, the sweep run."""

from __future__ import annotations

from typing import Literal

from fastapi import APIRouter, Response
from pydantic import Field

from modest_rotor.api.contracts import LONGEST_NAME, JobView, Step, Words, actor_now, view
from modest_rotor.core.commands.fields import TakeSetFromPanel
from modest_rotor.core.commands.setting_up import ChooseDevice, TrySetting
from modest_rotor.core.errors import ChangeRefused, Conflict
from modest_rotor.core.phrase import WithWords
from modest_rotor.core.say import say
from modest_rotor.core.setup.answer import SetupAnswer
from modest_rotor.core.setup.steps import SetupStep, open_before_running
from modest_rotor.core.stations.readings import Stage
from modest_rotor.devices.links import profile_of
from modest_rotor.devices.loop_run import refuse_second_run, stop_runs_on
from modest_rotor.devices.reading import named_or_none, panel_set, panel_trial
from modest_rotor.devices.simulated_devices import refuse_bench, simulated_device_of
from modest_rotor.devices.sweep_run import (
    SweepOrder,
    SweepRun,
    SweepState,
    SweepView,
    add_mark,
    answer_of_run,
    begin_sweep,
    pause_sweeps_on,
    refuse_second,
    run_of,
)
from modest_rotor.devices.writing import (
    Outcome,
    What,
    WritePlan,
    bands_held,
    carry_out,
    plan_write,
    stop_device,
    values_for,
)
from modest_rotor.fieldbus.profile import DeviceKind, Role
from modest_rotor.store import devices, jobs
from modest_rotor.store.database import with_connection
from modest_rotor.store.devices import KeptDevice
from modest_rotor.store.fits import assess_job
from modest_rotor.store.jobs import StoredJob
from modest_rotor.store.sweeps import KeptSweep

router = APIRouter(prefix="/api", tags=["set-up"])
STARTS = (What.COMMAND, What.SWEEP, What.CLOSE, What.STEP, What.WATCH)


class TrialIn(Step):
    """A setting tried on a duty step; read from the panel, or to be typed."""

    step: str = Field(max_length=16)
    read: bool = False


class DeviceChosen(Step):
    """The device that is set, or the panel that is read, by name; nothing lets it go."""

    which: Literal["device", "panel"]
    name: Words | None = Field(default=None, max_length=LONGEST_NAME)


class Wanted(WithWords):
    """What is to be written: a purpose, and for a command its duty step and perhaps another value."""

    what: What
    step: str | None = Field(default=None, max_length=16)
    value: float | None = Field(default=None, ge=0, le=400, description="share of full speed, or hertz")


class Confirmed(Wanted):
    """The same, seen and confirmed."""

    digest: str = Field(max_length=40)
    who: Words = Field(default="", max_length=LONGEST_NAME)


class AuthorisationIn(Confirmed):
    """Leave to write a device for this job."""

    minutes: int = Field(ge=1, le=60)


class WriteAnswer(WithWords):
    """What became of a write."""

    outcomes: tuple[Outcome, ...]
    agrees: bool


class SweepAnswerView(WithWords):
    """The sweep of a job, if one is under way or just ended."""

    run: SweepView | None


class MarkLoud(WithWords):
    """A frequency that is loud: the one said, or what the drive gives just now."""

    hertz: float | None = Field(default=None, gt=0, le=400)
    going: Literal["up", "down"] | None = None
    who: Words = Field(default="", max_length=LONGEST_NAME)


class ReadInto(Step):
    """A set of readings taken from the panel."""

    stage: Literal["before", "after"] = "after"
    name: Words = Field(default="", max_length=LONGEST_NAME)


@router.post("/jobs/{job_id}/setup/trials", response_model=JobView)
@with_connection
def try_setting(job_id: int, said: TrialIn) -> Response:
    """A reading of the balancing loop: the setting as advised, and with ``read`` the flow from the panel."""
    read = panel_trial(jobs.load(job_id)) if said.read else None
    return view(jobs.carry_out(job_id, said.revision, TrySetting(said.step, read), actor_now(said.who)))


@router.post("/jobs/{job_id}/setup/device", response_model=JobView)
@with_connection
def choose_device(job_id: int, said: DeviceChosen) -> Response:
    """Say which device is set or which panel is read; the job keeps the device's traits with its name."""
    stored = jobs.load(job_id)
    kept = devices.device_named(said.name) if said.name else None
    is_meter = kept is not None and profile_of(kept).kind is DeviceKind.METER
    if kept:
        refuse_bench(kept)
    if kept and not kept.stands_at(stored.job.site.name):
        raise ChangeRefused(say("api-setup-choose-device-stands-job", kept=kept.name, site=kept.site))
    if kept and is_meter != (said.which == "panel"):
        raise ChangeRefused(say("api-setup-choose-device-choose-another", kept=kept.name, kind=profile_of(kept).kind))
    traits = profile_of(kept).traits if kept and said.which == "device" else None
    command = ChooseDevice(said.which, kept.name if kept else None, traits)
    return view(jobs.carry_out(job_id, said.revision, command, actor_now(said.who)))


@router.post("/jobs/{job_id}/setup/plan")
@with_connection
def plan(job_id: int, wanted: Wanted) -> WritePlan:
    """What would be written: register, old and new value. Nothing is written."""
    return plan_for(jobs.load(job_id), wanted)[1]


@router.post("/jobs/{job_id}/setup/authorisation")
@with_connection
def authorise(job_id: int, said: AuthorisationIn) -> WritePlan:
    """Arm a device for this job and a time, after its registers were seen."""
    if not said.who.strip():
        raise ChangeRefused(say("api-setup-authorise-whoever-authorises"))
    stored = jobs.load(job_id)
    kept, shown = plan_for(stored, said)
    if shown.digest != said.digest:
        raise Conflict(say("api-setup-authorise-device-holds"))
    roles = {str(line.role) for line in shown.lines} | {
        str(Role.RUN),
        str(Role.SIGNAL_INPUT),
        str(Role.FREQUENCY_COMMAND),
    }
    devices.authorise(kept.id, job_id, tuple(sorted(roles)), said.who.strip(), said.minutes)
    return plan_for(stored, said)[1]


@router.post("/jobs/{job_id}/setup/writes")
@with_connection
def write(job_id: int, said: Confirmed) -> WriteAnswer:
    """Keep that it is written, write what was seen, read back, compare, keep what became of it. A stop is always carried out."""
    if said.what is What.STOP:
        kept = devices.device_named(jobs.job_of(job_id).document.setup.device)
        return stopped(kept, job_id, said.who.strip())
    stored = jobs.load(job_id)
    kept, shown = plan_for(stored, said)
    run = run_of(job_id, _order(stored, None))
    if run and run.state is SweepState.RUNNING:
        raise ChangeRefused(say("api-setup-write"))
    if said.what in STARTS:
        refuse_second_run(job_id, kept.id)
    outcomes = carry_out(kept, job_id, shown, said.digest, said.who.strip())
    return WriteAnswer(outcomes=outcomes, agrees=all(one.agrees for one in outcomes))


def stopped(kept: KeptDevice, job_id: int | None, who: str) -> WriteAnswer:
    """Stop a device now, and the sweep that runs on it."""
    stop_runs_on(kept.id)
    pause_sweeps_on(kept.id)
    outcomes = stop_device(kept, job_id, who)
    return WriteAnswer(outcomes=outcomes, agrees=all(one.agrees for one in outcomes))


@router.get("/jobs/{job_id}/setup/sweep")
@with_connection
def sweep(job_id: int) -> SweepAnswerView:
    """Where the sweep stands."""
    return _sweep_view(run_of(job_id, _order(jobs.load(job_id), None)))


@router.post("/jobs/{job_id}/setup/sweep")
@with_connection
def start_sweep(job_id: int, said: Confirmed) -> SweepAnswerView:
    """Clear old skips, start the machine and begin to step, after that was seen."""
    stored = jobs.load(job_id)
    kept, shown = plan_for(stored, Wanted(what=What.SWEEP))
    panel = named_or_none(stored.job.document.setup.panel)
    order = _order(stored, panel)
    if not order.frequencies:
        raise ChangeRefused(say("api-setup-start-sweep-there-nothing"))
    refuse_second_run(job_id, kept.id)
    run_of(job_id, order)  # one that a restart cut off is under way too
    refuse_second(job_id, kept.id)
    before = {str(line.role): line.before_si for line in shown.lines}
    outcomes = carry_out(kept, job_id, shown, said.digest, said.who.strip())
    if not all(one.agrees for one in outcomes):
        raise ChangeRefused(
            say("api-setup-start-sweep-drive-did", next=next(one.sentence for one in outcomes if not one.agrees))
        )
    answer_of_run(job_id, "setup/sweep/cleared", "yes", said.who.strip())
    begun = KeptSweep(job_id, kept.id, panel.id if panel else None, 0, before, (), said.who.strip())
    return _sweep_view(begin_sweep(begun, order))


@router.post("/jobs/{job_id}/setup/sweep/{act}")
@with_connection
def steer_sweep(job_id: int, act: Literal["pause", "go-on", "stop"]) -> SweepAnswerView:
    """Pause the sweep, let it go on, or end it and put back what the drive was told before."""
    stored = jobs.load(job_id)
    run = run_of(job_id, _order(stored, named_or_none(stored.job.document.setup.panel)))
    if run is None:
        raise ChangeRefused(say("api-setup-steer-sweep"))
    if act == "pause" and run.state is SweepState.RUNNING:
        run.pause()
    elif act == "go-on" and run.state is SweepState.PAUSED:
        run.start()
    elif act == "stop" and run.state in (SweepState.RUNNING, SweepState.PAUSED):
        run.stop()
    return _sweep_view(run)


@router.post("/jobs/{job_id}/setup/loud", response_model=JobView)
@with_connection
def mark_loud(job_id: int, said: MarkLoud) -> Response:
    """Mark a frequency as loud: the one said, or the one that the drive gives just now."""
    stored = jobs.load(job_id)
    hertz, going = said.hertz, said.going
    if hertz is None:
        kept = devices.device_named(stored.job.document.setup.device)
        run = run_of(job_id, _order(stored, None))
        hertz = SweepRun.output_hz(kept.id)
        going = run.order.points[run.kept.place][1] if run and run.state is SweepState.RUNNING else None  # type: ignore[assignment]
    grid = _order(stored, None).frequencies
    near = min(grid, key=lambda one: abs(one - hertz), default=hertz)
    return view(add_mark(job_id, near, said.who.strip(), going))


@router.post("/jobs/{job_id}/readings-from-panel", response_model=JobView)
@with_connection
def read_into(job_id: int, said: ReadInto) -> Response:
    """A new set of readings from the panel, with the command that the device holds."""
    command = TakeSetFromPanel(panel_set(jobs.load(job_id)), said.name, Stage(said.stage))
    return view(jobs.carry_out(job_id, said.revision, command, actor_now(said.who)))


def _step(setup: SetupAnswer, step: str) -> SetupStep:
    found = next((one for one in setup.steps if one.step == step), None)
    if found is None:
        raise ChangeRefused(say("api-setup-step"))
    return found


def plan_for(stored: StoredJob, wanted: Wanted) -> tuple[KeptDevice, WritePlan]:
    """The device of a job and what would be written to it; nothing starts while a stop stands open."""
    setup = assess_job(stored.job).setup
    if setup.waits and wanted.what is not What.STOP:
        raise ChangeRefused(say("api-setup-plan-for-set-up", waits=setup.waits))
    if setup.stops and wanted.what not in (What.STOP, What.CLEAR, What.HAND):
        raise ChangeRefused(say("api-setup-plan-for-stop-set"))
    kept = devices.device_named(stored.job.document.setup.device)
    unsigned = [str(number) for number in open_before_running(setup.steps)]
    if unsigned and wanted.what in STARTS and simulated_device_of(kept) is None:
        raise ChangeRefused(say("api-setup-plan-for-steps-before", unsigned=", ".join(unsigned)))
    skipped = bands_held(kept) if wanted.what is What.STEP else ()
    values = values_for(wanted.what, profile_of(kept), setup, wanted.step, wanted.value, skipped)
    return kept, plan_write(kept, stored.id, wanted.what, values, _cautions(setup, kept))


def _cautions(setup: SetupAnswer, kept: KeptDevice) -> tuple[str, ...]:
    unsigned, said = [str(number) for number in open_before_running(setup.steps)], []
    if unsigned:
        said.append(say("api-setup-cautions-steps-before", unsigned=", ".join(unsigned)))
    if simulated_device_of(kept) is None:
        said.append(say("api-setup-cautions-simulated-device"))
    return tuple(said)


def _order(stored: StoredJob, panel: KeptDevice | None) -> SweepOrder:
    answer = assess_job(stored.job).setup.sweep
    limit = stored.job.document.setup.sweep.limit
    if answer is None:
        return SweepOrder((), 0.0, None)
    return SweepOrder(answer.frequencies, answer.hold.value, limit.si if limit and panel else None)


def _sweep_view(run: SweepRun | None) -> SweepAnswerView:
    return SweepAnswerView(run=run.view() if run else None)


def _view(stored: StoredJob) -> Response:
    return view(stored)
