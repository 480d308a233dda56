"""Settings and gains tried, what devices and runs saw, and which device it is."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Any

from modest_rotor.core.changes import value_at
from modest_rotor.core.commands.command import Command, Found, appended, as_read, in_site_units
from modest_rotor.core.errors import ChangeRefused
from modest_rotor.core.job import Job
from modest_rotor.core.say import Number, say
from modest_rotor.core.statements import Actor, Edit
from modest_rotor.core.stations.loop import SeenSwing
from modest_rotor.core.stations.traits import Traits


@dataclass(frozen=True)
class TryGains(Command):
    """Gains of a loop to be tried: those that follow from what was seen at the last ones, else the first ones."""

    def edits(self, job: Job, actor: Actor, found: Found) -> tuple[Edit, ...]:
        """Errors as :func:`decide`."""
        loop = found().setup.loop
        if loop is None:
            raise ChangeRefused(say("setting-up-edits-say-first"))
        first = not job.document.setup.loop.tries
        gain = loop.next_gain or (loop.gain.figure if first else None)
        integral = loop.next_integral or (loop.integral.figure if first else None)
        new: dict[str, Any] = {"who": actor.name or None, "at": actor.at}
        if gain and integral:
            new["gain"] = in_site_units(job, "loop_gain", gain.value)
            new["integral"] = in_site_units(job, "loop_time", integral.value)
        return appended(job, "setup/loop/tries", new, say("setting-up-edits-gains-tried"))


@dataclass(frozen=True)
class TrySetting(Command):
    """A setting of the balancing loop, as advised; ``read`` is what a panel showed at it, as plain data."""

    step: str
    read: dict[str, Any] | None = None

    def edits(self, job: Job, actor: Actor, found: Found) -> tuple[Edit, ...]:
        """Errors as :func:`decide`."""
        answer = next((one for one in found().setup.commands if one.step == self.step), None)
        if answer is None:
            raise ChangeRefused(say("setting-up-edits-duty-step"))
        new: dict[str, Any] = {"step": self.step, "who": actor.name or None, "at": actor.at}
        advised = (answer.advice.command if answer.advice else None) or answer.command
        if advised:
            field = "frequency" if advised.quantity == "output_frequency" else "signal"
            new[field] = in_site_units(job, advised.quantity, advised.value)
        label = (
            say("setting-up-edits-setting-tried") if self.read is None else say("setting-up-edits-setting-tried-read")
        )
        return appended(job, "setup/trials", new | (self.read or {}), label)


@dataclass(frozen=True)
class MarkLoud(Command):
    """A frequency that is loud, Hz; its level, dB(A), and on the way up or down where that is known."""

    hertz: float
    going: str | None = None
    level: float | None = None

    def edits(self, job: Job, actor: Actor, found: Found) -> tuple[Edit, ...]:
        """Errors as :func:`decide`."""
        heard = {
            "frequency": as_read("output_frequency", f"{self.hertz:.1f} Hz"),
            "level": as_read("sound_level", f"{self.level:.1f} dB(A)") if self.level is not None else None,
            "going": self.going,
            "who": actor.name or None,
        }
        return appended(
            job, "setup/sweep/marks", heard, say("setting-up-edits-loud-hz", hertz=Number(self.hertz, ".1f"))
        )


@dataclass(frozen=True)
class KeepStepTest(Command):
    """A step test of the loop as a run saw it: hertz and Pa before and after, and the seconds until it began and came two thirds."""

    hertz: tuple[float, float]
    pressure: tuple[float, float]
    began: float
    two_thirds: float

    def edits(self, job: Job, actor: Actor, found: Found) -> tuple[Edit, ...]:
        """Errors as :func:`decide`."""
        loop: dict[str, Any] = value_at(job, "setup/loop")
        for name, hertz, pascal in zip(("before", "after"), self.hertz, self.pressure, strict=True):
            loop[f"hertz_{name}"] = as_read("output_frequency", f"{hertz:.1f} Hz")
            loop["pressure"][name] = as_read("pressure", f"{pascal:.1f} Pa")
        loop["began"] = as_read("loop_time", f"{self.began:.1f} s")
        loop["two_thirds"] = as_read("loop_time", f"{self.two_thirds:.1f} s")
        return (Edit("setup/loop", loop, say("setting-up-edits-step-test")),)


@dataclass(frozen=True)
class KeepSwing(Command):
    """How the loop swung while a run watched it, beside the gains that were tried last, where nothing was said of them yet."""

    seen: SeenSwing
    period_s: float | None

    def edits(self, job: Job, actor: Actor, found: Found) -> tuple[Edit, ...]:
        """Errors as :func:`decide`."""
        tries: list[dict[str, Any]] = value_at(job, "setup/loop/tries")
        if tries and not tries[-1].get("seen"):
            tries[-1] |= {
                "seen": self.seen,
                "period": as_read("loop_time", f"{self.period_s:.1f} s") if self.period_s else None,
            }
        return (Edit("setup/loop/tries", tries, say("setting-up-edits-loop-watched")),)


@dataclass(frozen=True)
class ChooseDevice(Command):
    """The device that is set (``device``), with its traits, or the panel that is read (``panel``); none lets it go."""

    which: str
    name: str | None
    traits: Traits | None = None

    def edits(self, job: Job, actor: Actor, found: Found) -> tuple[Edit, ...]:
        """Errors as :func:`decide`."""
        setup = value_at(job, "setup") | {self.which: self.name}
        if self.which == "device":
            setup["traits"] = self.traits.model_dump(mode="json") if self.traits else None
        return (
            Edit(
                "setup",
                setup,
                f"{self.which}, {self.name}" if self.name else say("setting-up-edits-no", which=self.which),
            ),
        )
