"""A noise sweep through the drive: every frequency up and down, held, listened to; paused by any trouble, put back at the end."""

from __future__ import annotations

import time
from collections.abc import Callable
from dataclasses import dataclass, replace
from enum import StrEnum
from threading import Event, Lock, Thread

from modest_rotor.core.commands.fields import SetValue
from modest_rotor.core.commands.setting_up import MarkLoud
from modest_rotor.core.errors import ChangeRefused, ModestRotorError
from modest_rotor.core.phrase import Figure, Frozen, figure
from modest_rotor.core.say import Number, say
from modest_rotor.devices.job_changes import change_of_run
from modest_rotor.devices.links import LINKS
from modest_rotor.devices.simulated_devices import simulated_device_of
from modest_rotor.devices.writing import SKIPS
from modest_rotor.fieldbus.profile import Role
from modest_rotor.store import jobs
from modest_rotor.store.database import with_connection
from modest_rotor.store.devices import Written, authorisations_of, begin_write, device, end_write
from modest_rotor.store.sweeps import KeptSweep, Level, forget_sweep, keep_sweep, sweep_of

LOOK_EVERY_S = 0.05
REACHED_HZ = 0.3
LONGEST_RAMP_S = 90.0
PUT_BACK = (Role.FREQUENCY_COMMAND, Role.RUN)
OLD_SKIPS = tuple(role for pair in SKIPS for role in pair)


class SweepState(StrEnum):
    """Where a sweep stands."""

    RUNNING = "running"
    PAUSED = "paused"
    DONE = "done"
    STOPPED = "stopped"


class SweepLevel(Frozen):
    """A level read on the way."""

    hertz: float
    level: float
    going: str


class SweepView(Frozen):
    """A sweep as the page shows it."""

    state: SweepState
    sentence: str
    at: Figure | None
    going: str | None
    done: int
    of: int
    levels: tuple[SweepLevel, ...]
    who: str


@dataclass(frozen=True)
class SweepOrder:
    """What to run: frequencies upward, seconds each is held, and from which level on it is loud, if a panel hears."""

    frequencies: tuple[float, ...]
    hold_s: float
    loud_db: float | None

    @property
    def points(self) -> tuple[tuple[float, str], ...]:
        """Every frequency in order: up, then down."""
        up = tuple((hertz, "up") for hertz in self.frequencies)
        return (*up, *((hertz, "down") for hertz in reversed(self.frequencies)))


class SweepRun:
    """One sweep in a thread of its own."""

    def __init__(self, kept: KeptSweep, order: SweepOrder) -> None:
        self.kept, self.order = kept, order
        self.state = SweepState.RUNNING
        self.sentence = ""
        self._pause, self._stop = Event(), Event()
        self._thread: Thread | None = None

    def start(self) -> SweepRun:
        """Go, from where it stands."""
        self._pause.clear()
        self.state, self.sentence = SweepState.RUNNING, ""
        self._thread = Thread(target=with_connection(self._run), daemon=True, name=f"sweep {self.kept.job_id}")
        self._thread.start()
        return self

    def pause(self) -> None:
        """Stay on this frequency."""
        self._pause.set()
        self._join()

    def stop(self) -> None:
        """End it, and put back what the drive was told before."""
        self._stop.set()
        self._join()
        if self.state is not SweepState.DONE:
            self._end(SweepState.STOPPED, say("word-stopped"), (*OLD_SKIPS, *PUT_BACK))

    def _join(self) -> None:
        if self._thread is not None:
            self._thread.join(LONGEST_RAMP_S)
            self._thread = None

    def _run(self) -> None:
        points = self.order.points
        try:
            self._write(Role.FREQUENCY_COMMAND, points[self.kept.place][0])
            self._write(Role.RUN, 1.0)
            while self.kept.place < len(points):
                if not self._one(*points[self.kept.place]):
                    self._paused(say("sweep-run-run-paused-here"))
                    return
                self.kept = replace(self.kept, place=self.kept.place + 1)
                keep_sweep(self.kept)
                if self.kept.place == len(self.order.frequencies):
                    self._said("setup/sweep/swept_up")
            self._said("setup/sweep/swept_down")
        except ModestRotorError as trouble:
            self._paused(say("sweep-run-run-sweep-waits", trouble=trouble.sentence))
            return
        except Exception as error:  # the database may be away: no sweep ends without a word
            self._paused(say("sweep-run-run-sweep-cut", name=type(error).__name__))
            return
        self._end(SweepState.DONE, say("sweep-run-run-swept-up"), PUT_BACK)

    def _one(self, hertz: float, going: str) -> bool:
        """Go to a frequency, hold it, listen; whether it was held to the end."""
        self._write(Role.FREQUENCY_COMMAND, hertz)
        self._wait(LONGEST_RAMP_S, lambda: self._is_at(hertz))
        if not self._held():
            return False
        self._refuse_elsewhere(hertz)
        self._listen(hertz, going)
        return True

    def _paused(self, sentence: str) -> None:
        self.state, self.sentence = SweepState.PAUSED, sentence

    def _is_at(self, hertz: float) -> bool:
        return abs(self._output() - hertz) <= REACHED_HZ

    def _refuse_elsewhere(self, hertz: float) -> None:
        """What is heard at another frequency than the one told would be marked at the wrong place."""
        output = self._output()
        if abs(output - hertz) > REACHED_HZ:
            raise ChangeRefused(
                say("sweep-run-refuse-elsewhere", hertz=Number(hertz, "g"), output=Number(output, ".1f"))
            )

    def _held(self) -> bool:
        self._wait(self.order.hold_s, lambda: False)
        return not (self._pause.is_set() or self._stop.is_set())

    def _wait(self, longest_s: float, ready: Callable[[], bool]) -> None:
        """Until it is ready, told to pause or stop, or so long."""
        until = time.monotonic() + longest_s
        while time.monotonic() < until and not (self._pause.is_set() or self._stop.is_set() or ready()):
            time.sleep(LOOK_EVERY_S)

    def _output(self) -> float:
        return self.output_hz(self.kept.device_id)

    @staticmethod
    def output_hz(device_id: int) -> float:
        """What the drive gives just now, Hz. :raises DeviceTrouble: it does not answer."""
        seen = LINKS.link(device(device_id)).read((Role.OUTPUT_FREQUENCY,))
        if Role.OUTPUT_FREQUENCY in seen.refused:
            raise ChangeRefused(seen.refused[Role.OUTPUT_FREQUENCY])
        return seen.values[Role.OUTPUT_FREQUENCY]

    def _listen(self, hertz: float, going: str) -> None:
        if self.kept.panel_id is None:
            return
        level = LINKS.link(device(self.kept.panel_id)).read((Role.SOUND_LEVEL,)).values.get(Role.SOUND_LEVEL)
        if level is None:
            return
        heard = Level(hertz, round(level, 1), going)
        self.kept = replace(self.kept, levels=(*self.kept.levels, heard))
        if self.order.loud_db is not None and level >= self.order.loud_db:
            add_mark(self.kept.job_id, hertz, self.kept.who, going, level)

    def _write(self, role: Role, value: float) -> None:
        kept = device(self.kept.device_id)
        if simulated_device_of(kept) is None:
            authorisations = [
                one for one in authorisations_of(kept.id) if one.job_id == self.kept.job_id and role in one.roles
            ]
            if not authorisations:
                raise ChangeRefused(say("sweep-run-write", kept=kept.name))
        LINKS.link(kept).write(role, value)

    def _said(self, path: str) -> None:
        answer_of_run(self.kept.job_id, path, "yes", self.kept.who)

    def _end(self, state: SweepState, sentence: str, roles: tuple[Role, ...]) -> None:
        """Put back what the drive was told before, keep that, and forget the sweep; only then is it ended for whoever looks."""
        ended = say("sweep-run-end", sentence=sentence)
        try:
            ended = f"{sentence}{self._put_back(sentence, roles)}"
        finally:
            self.sentence, self.state = ended, state

    def _put_back(self, sentence: str, roles: tuple[Role, ...]) -> str:
        original = self.kept.original
        trouble = ""
        kept = device(self.kept.device_id)
        wanted = Written("sweep", 0, None, original.get(Role.FREQUENCY_COMMAND, 0.0), None, "")
        intent = begin_write(kept, self.kept.job_id, wanted, self.kept.who)
        # Its run command last where it stood, first where it is to stand still.
        ordered = sorted(roles, key=lambda role: role is Role.RUN, reverse=original.get(Role.RUN, 0.0) < 1)
        for role in ordered:
            if role not in original:
                continue
            try:
                self._write(role, original[role])
            except ModestRotorError as error:
                trouble = say("sweep-run-put-back-put-back", error=error.sentence)
                break
        became = trouble or say("sweep-run-put-back-drive-told")
        end_write(intent, None, f"{sentence}{became}")
        forget_sweep(self.kept.job_id)
        return became

    def view(self) -> SweepView:
        """The sweep for the page."""
        points = self.order.points
        place = min(self.kept.place, len(points) - 1)
        under_way = self.state in (SweepState.RUNNING, SweepState.PAUSED)
        return SweepView(
            state=self.state,
            sentence=self.sentence,
            at=figure("output_frequency", points[place][0]) if under_way else None,
            going=points[place][1] if under_way else None,
            done=min(self.kept.place, len(points)),
            of=len(points),
            levels=tuple(SweepLevel(hertz=one.hertz, level=one.level, going=one.going) for one in self.kept.levels),
            who=self.kept.who,
        )


RUNS: dict[int, SweepRun] = {}
_lock = Lock()


def refuse_second(job_id: int, device_id: int) -> None:
    """Refuse a sweep where one is under way. :raises ChangeRefused: for this job, or running on this drive."""
    for other, run in RUNS.items():
        under_way = run.state in (SweepState.RUNNING, SweepState.PAUSED)
        if under_way and (other == job_id or run.kept.device_id == device_id):
            raise ChangeRefused(
                say("sweep-run-refuse-second-sweep-under", who=run.kept.who or say("sweep-run-refuse-second-somebody"))
            )


def pause_sweeps_on(device_id: int) -> None:
    """Let every sweep on a drive wait where it is: somebody stops the drive."""
    for run in list(RUNS.values()):
        if run.kept.device_id == device_id and run.state is SweepState.RUNNING:
            run.pause()


def begin_sweep(kept: KeptSweep, order: SweepOrder) -> SweepRun:
    """Begin a sweep. :raises ChangeRefused: as :func:`refuse_second`."""
    with _lock:
        refuse_second(kept.job_id, kept.device_id)
        keep_sweep(kept)
        RUNS[kept.job_id] = SweepRun(kept, order).start()
        return RUNS[kept.job_id]


def run_of(job_id: int, order: SweepOrder) -> SweepRun | None:
    """The sweep of a job; one that a restart of the application cut off stands paused where it was."""
    with _lock:
        if job_id not in RUNS and (kept := sweep_of(job_id)) is not None:
            run = SweepRun(kept, order)
            run.state = SweepState.PAUSED
            run.sentence = say("sweep-run-run-of")
            RUNS[job_id] = run
        return RUNS.get(job_id)


def stop_all() -> None:
    """Pause every sweep, so that it can go on after a restart."""
    for run in list(RUNS.values()):
        if run.state is SweepState.RUNNING:
            run.pause()
    RUNS.clear()


def add_mark(
    job_id: int, hertz: float, who: str, going: str | None = None, level: float | None = None
) -> jobs.StoredJob:
    """Mark a frequency as loud, on the job as it now is."""
    return change_of_run(job_id, MarkLoud(hertz, going, level), who)


def answer_of_run(job_id: int, path: str, value: str, who: str) -> None:
    """Answer a question of the job as it now is."""
    change_of_run(job_id, SetValue(path, value), who)
