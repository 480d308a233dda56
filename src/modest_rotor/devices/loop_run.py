"""A loop on its drive: a step of the command that is followed, or the closed loop watched, each read at the drive's own sensor input."""

from __future__ import annotations

import time
from collections.abc import Callable
from dataclasses import dataclass
from enum import StrEnum
from threading import Event, Lock, Thread

import numpy as np

from modest_rotor.core.coded import Coded
from modest_rotor.core.commands.setting_up import KeepStepTest, KeepSwing
from modest_rotor.core.errors import ChangeRefused, ModestRotorError, OutsideValidity
from modest_rotor.core.phrase import Frozen
from modest_rotor.core.physics.loop import Hunting, Swing, hunting_of, times_of_step
from modest_rotor.core.say import Number, say
from modest_rotor.core.stations.loop import SeenSwing
from modest_rotor.devices.job_changes import change_of_run
from modest_rotor.devices.links import LINKS, profile_of
from modest_rotor.devices.simulated_devices import simulated_device_of
from modest_rotor.fieldbus.errors import DeviceRefused, DeviceTrouble
from modest_rotor.fieldbus.profile import Role
from modest_rotor.store.database import with_connection
from modest_rotor.store.devices import Written, authorisations_of, begin_write, device, end_write

LOOK_EVERY_S = 0.2
STILL_LOOKS, STILL_SHARE = 20, 0.01
"""Looks in a row, and the share of the sensor's range within which they lie, for a value to stand."""
LEAST_LOOKS = 40
REACHED_HZ = 0.3
LONGEST_WAIT_S, LONGEST_STEP_S = 90.0, 120.0
LONGEST_STOP_S = 5.0
"""Seconds in which a run that was told to stop has met its next look: one read takes no longer."""
MOST_LOST = 3
"""Answers lost one after the other that do not end a run yet."""
LEAST_NOISE = 0.002
"""Share of the range under which a swing is no swing: what the register and the sensor's tube make of air that never stands."""
SEEN_AS = {
    Swing.QUIET: SeenSwing.QUIET,
    Swing.DIES_AWAY: SeenSwing.DIES_AWAY,
    Swing.LIVELY: SeenSwing.LIVELY,
    Swing.HUNTS: SeenSwing.HUNTS,
}


def now() -> float:
    """Seconds by which a run keeps time."""
    return time.monotonic()


class RunKind(Coded):
    """What is done."""

    STEP = "step"
    WATCH = "watch"


class RunState(StrEnum):
    """Where it stands."""

    RUNNING = "running"
    DONE = "done"
    STOPPED = "stopped"


class LoopSample(Frozen):
    """One look: seconds since it began, value at the sensor in SI, hertz at the output."""

    at_s: float
    value: float
    hertz: float


class LoopRunView(Frozen):
    """A run as the page shows it; ``stepped_s`` is when the command was moved."""

    kind: RunKind
    state: RunState
    sentence: str
    samples: tuple[LoopSample, ...]
    stepped_s: float | None = None


@dataclass(frozen=True)
class LoopOrder:
    """What to run: from a first to a second value of a register, once the value at the sensor stands.

    A step moves the frequency, Hz; a watch moves the set point back to where it belongs, and looks for ``watch_s``.
    ``span`` is the sensor's range, SI.
    """

    kind: RunKind
    span: float
    first: float
    second: float
    watch_s: float = 60.0

    @property
    def role(self) -> Role:
        """What is moved."""
        return Role.FREQUENCY_COMMAND if self.kind is RunKind.STEP else Role.SET_POINT


class LoopRun:
    """One step test or watch, in a thread of its own."""

    def __init__(self, job_id: int, device_id: int, order: LoopOrder, who: str) -> None:
        self.job_id, self.device_id, self.order, self.who = job_id, device_id, order, who
        self.state, self.sentence = RunState.RUNNING, ""
        self.samples: list[LoopSample] = []
        self.stepped_s: float | None = None
        self._lost = 0
        self._stop = Event()
        self._begun = now()
        self._thread = Thread(target=with_connection(self._run), daemon=True, name=f"loop {job_id}")

    def start(self) -> LoopRun:
        """Go."""
        self._thread.start()
        return self

    def stop(self) -> None:
        """End it where it is; nothing more is written."""
        self._stop.set()
        self._thread.join(LONGEST_STOP_S)

    def end(self) -> None:
        """End it; a set point that was moved for a watch is put back."""
        moved = self.order.kind is RunKind.WATCH and self.stepped_s is None
        self.stop()
        if moved and self.stepped_s is None:
            self._send()

    def _run(self) -> None:
        try:
            done = self._step() if self.order.kind is RunKind.STEP else self._watch()
        except ModestRotorError as trouble:
            self._ended(RunState.STOPPED, trouble.sentence)
        except Exception as error:  # the database may be away: no run ends without a word
            self._ended(RunState.STOPPED, say("loop-run-run", name=type(error).__name__))
        else:
            self._ended(RunState.DONE if done else RunState.STOPPED, self.sentence or say("word-stopped"))

    def _ended(self, state: RunState, sentence: str) -> None:
        self.sentence = sentence
        self.state = state

    def _step(self) -> bool:
        """From where it stands on the first frequency to where it stands on the second."""
        if not self._until(lambda: self._stands(self.order.first), LONGEST_WAIT_S):
            return self._not_still(say("loop-run-step-before-step"), self.order.first)
        begun = self._move()
        settled = self._until(lambda: len(self.samples) - begun > LEAST_LOOKS and self._stands(self.order.second), LONGEST_STEP_S)  # fmt: skip
        if not settled:
            return self._not_still(say("loop-run-step-after-step"), self.order.second)
        after = self.samples[begun:]
        times = np.array([one.at_s - after[0].at_s for one in after])
        values = np.array([one.value for one in after])
        began, two_thirds = times_of_step(times, values)
        tail = values[-STILL_LOOKS:]
        self._keep_step(float(values[0]), float(np.mean(tail)), began, two_thirds)
        self.sentence = say("loop-run-step-step-read")
        return True

    def _not_still(self, when: str, told_hz: float) -> bool:
        if self._stop.is_set():
            return False
        gives = self.samples[-1].hertz if self.samples else told_hz
        if abs(gives - told_hz) > REACHED_HZ:
            raise OutsideValidity(say("loop-run-not-still-told-hz", told_hz=Number(told_hz, ".1f"), gives=Number(gives, ".1f")))  # fmt: skip
        raise OutsideValidity(say("loop-run-not-still-value-did", when=when))  # fmt: skip

    def _watch(self) -> bool:
        """A third of the time on the set point that was moved, then back to where it belongs, and look."""
        self._until(self._stands, self.order.watch_s / 3)
        if self._stop.is_set():
            return False
        begun = self._move()
        self._until(lambda: False, self.order.watch_s)
        if self._stop.is_set():
            return False
        after = self.samples[begun:]
        if len(after) < LEAST_LOOKS:
            raise OutsideValidity(say("loop-run-watch-too-few"))
        times, values = np.array([one.at_s for one in after]), np.array([one.value for one in after])
        seen = hunting_of(times, values, LEAST_NOISE * self.order.span)
        self._keep_seen(seen)
        beat = say("loop-run-watch-one-s", period_s=Number(seen.period_s, ".1f")) if seen.period_s else ""
        self.sentence = say("loop-run-watch-watched", swing=seen.swing, beat=beat)
        return True

    def _move(self) -> int:
        """Move what is moved; the place of the newest sample before it."""
        begun = len(self.samples) - 1
        self._send()
        self.stepped_s = self.samples[begun].at_s
        return begun

    def _until(self, ready: Callable[[], bool], longest_s: float) -> bool:
        """Look until it is ready; whether it was, before somebody stopped it or the time ran out."""
        until = now() + longest_s
        while now() < until and not self._stop.is_set():
            self._look()
            if ready():
                return True
            time.sleep(LOOK_EVERY_S)
        return False

    def _look(self) -> None:
        roles = (Role.FEEDBACK, Role.OUTPUT_FREQUENCY)
        try:
            seen = LINKS.link(device(self.device_id)).read(roles)
        except DeviceRefused:
            raise
        except DeviceTrouble:
            # A bus loses an answer now and then; one that is gone loses all.
            self._lost += 1
            if self._lost > MOST_LOST:
                raise
            return
        self._lost = 0
        if seen.refused:
            raise ChangeRefused(next(iter(seen.refused.values())))
        at = round(now() - self._begun, 2)
        self.samples.append(
            LoopSample(at_s=at, value=seen.values[Role.FEEDBACK], hertz=seen.values[Role.OUTPUT_FREQUENCY])
        )

    def _stands(self, hertz: float | None = None) -> bool:
        newest = self.samples[-STILL_LOOKS:]
        if len(newest) < STILL_LOOKS or (hertz is not None and abs(newest[-1].hertz - hertz) > REACHED_HZ):
            return False
        values = [one.value for one in newest]
        return max(values) - min(values) < STILL_SHARE * self.order.span

    def _send(self) -> None:
        """Write the second value; never without authorisation."""
        kept, role, second = device(self.device_id), self.order.role, self.order.second
        if simulated_device_of(kept) is None:
            authorisations = [
                one for one in authorisations_of(kept.id) if one.job_id == self.job_id and role in one.roles
            ]
            if not authorisations:
                raise ChangeRefused(say("loop-run-send-authorisation-write", kept=kept.name))
        register = profile_of(kept).register(role)
        wanted = Written(str(role), register.address if register else 0, self.order.first, second, None, "")
        intent = begin_write(kept, self.job_id, wanted, self.who)
        after = LINKS.link(kept).write(role, second)
        end_write(intent, after, say("loop-run-send-moved", kind=self.order.kind))

    def _keep_step(self, before: float, after: float, began: float, two_thirds: float) -> None:
        hertz = (self.order.first, self.order.second)
        change_of_run(self.job_id, KeepStepTest(hertz, (before, after), began, two_thirds), self.who)

    def _keep_seen(self, seen: Hunting) -> None:
        """Beside the gains that were tried last, where nothing was said of them yet."""
        change_of_run(self.job_id, KeepSwing(SEEN_AS[seen.swing], seen.period_s), self.who)

    def view(self) -> LoopRunView:
        """The run for the page."""
        return LoopRunView(
            kind=self.order.kind,
            state=self.state,
            sentence=self.sentence,
            samples=tuple(self.samples),
            stepped_s=self.stepped_s,
        )


RUNS: dict[int, LoopRun] = {}
_lock = Lock()


def refuse_second_run(job_id: int, device_id: int) -> None:
    """Refuse a run where one is under way. :raises ChangeRefused: for this job, or on this drive."""
    for other, run in RUNS.items():
        if run.state is RunState.RUNNING and (other == job_id or run.device_id == device_id):
            raise ChangeRefused(say("loop-run-refuse-second-run-under-way", kind=run.order.kind, who=run.who or say("loop-run-refuse-second-run-somebody")))  # fmt: skip


def begin_run(job_id: int, device_id: int, order: LoopOrder, who: str) -> LoopRun:
    """Begin a run. :raises ChangeRefused: as :func:`refuse_second_run`."""
    with _lock:
        refuse_second_run(job_id, device_id)
        RUNS[job_id] = LoopRun(job_id, device_id, order, who).start()
        return RUNS[job_id]


def loop_run_of(job_id: int) -> LoopRun | None:
    """The newest run of a job, under way or ended; none after a restart."""
    return RUNS.get(job_id)


def stop_runs_on(device_id: int) -> None:
    """End every run on a drive: somebody stops it."""
    for run in list(RUNS.values()):
        if run.device_id == device_id and run.state is RunState.RUNNING:
            run.stop()


def stop_all_runs() -> None:
    """End every run, as the application does when it stops."""
    for run in list(RUNS.values()):
        if run.state is RunState.RUNNING:
            run.stop()
    RUNS.clear()
