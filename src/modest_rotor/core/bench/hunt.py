"""The fault hunt: a hidden fault made from a number, tests that cost minutes and carry cautions, and the cheapest way to it."""

from __future__ import annotations

import math
from collections.abc import Iterable, Mapping
from dataclasses import dataclass, replace
from enum import StrEnum
from functools import cache, cached_property

import numpy as np

from modest_rotor.core.bench.stand import Controls, Stand, setup_of, stands
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.identify.causes import REPEATS, Cause, Observed, Rung, Solved, rank_causes, solve_causes
from modest_rotor.core.identify.perturb import Needle, Setup, needles, ratios
from modest_rotor.core.tables import Row, read_table

READINGS: dict[Needle, int] = {
    Needle.VOLTS: 1,
    Needle.AMPS: 1,
    Needle.SPEED: 2,
    Needle.WATTS: 2,
    Needle.PRESSURE: 3,
    Needle.FLOW: 8,
}
"""Minutes that each reading takes. Common practice, no source."""
FIRST_READ = (Needle.VOLTS, Needle.AMPS, Needle.SPEED, Needle.WATTS, Needle.PRESSURE)
LIVE = "Live work: only by those qualified, right meter and gloves; hands clear of the wheel."
ISOLATE_MIN, DISCHARGE_MIN = 4, 1
METER_OFF = (0.2, 0.35)
"""How far a meter that is off is off: smallest and largest logarithm. Our judgement, no source."""
SLACK, SPARE_MIN = 1.6, 8
"""Budget over the cheapest way's minutes, and minutes to spare. Our judgement, no source."""
WEAK, STRONG = 0.06, 0.03
CERTAIN = 0.985
UNKNOWN = "no cause that fits"


class Ending(StrEnum):
    """How a hunt ends."""

    FOUND = "found"
    ANOTHER = "another cause"
    UNSAFE = "an unsafe act"
    OUT_OF_TIME = "out of time"


@dataclass(frozen=True)
class Hunt:
    """A hunt as its number makes it: the same for everybody who sets it.

    :param number: from which everything follows. :param stand: on which it happens. :param cause: that is hidden.
    :param size: of its change; for a meter that is off the logarithm by which it is.
    """

    number: int
    stand: Stand
    cause: Cause
    size: float

    @cached_property
    def setup(self) -> Setup:
        """The machine as it should be."""
        return setup_of(self.stand, Controls(value=self.held))

    @property
    def held(self) -> float:
        """What an electronic motor is told."""
        return 0.9 if self.stand.is_electronic else 1.0

    @cached_property
    def healthy(self) -> Mapping[Needle, float]:
        """Readings from when it was right, as they are handed to the learner."""
        shown = needles(self.setup.settled()) | {Needle.VOLTS: self.setup.supply.voltage}
        return {needle: float(np.ravel(shown[needle])[0]) for needle in READINGS}

    @cached_property
    def now(self) -> Mapping[Needle, float]:
        """What the needles truly show with the fault in."""
        moved = ratios(self.setup, self.cause.change, self.size) if self.cause.change else {}
        values = {
            needle: value * max(1 + float(np.ravel(moved.get(needle, 0.0))[0]), 0.0)
            for needle, value in self.healthy.items()
        }
        if self.cause.needle is not None:
            values[self.cause.needle] *= math.exp(self.size)
        return values

    def read(self, needle: Needle, again: int = 0) -> float:
        """A reading with its meter's error; the same for everybody, another one when it is read again."""
        rng = np.random.default_rng((self.number, list(READINGS).index(needle), again))
        return self.now[needle] * math.exp(float(rng.normal(0.0, REPEATS[needle])))

    @property
    def complaint(self) -> str:
        """What the people there say, in plain words: it follows from what the machine does."""
        air, watts = (self.now[needle] / self.healthy[needle] - 1 for needle in (Needle.FLOW, Needle.WATTS))
        if air < -0.5:
            return "Next to nothing comes out."
        if air < -WEAK:
            return "It blows weaker than it did."
        if air > WEAK:
            return "It is draughty since last week, and louder."
        if abs(watts) > STRONG:
            return "The air seems right, but the meter in the cellar runs differently."
        return "Somebody says that the last readings look odd."

    @cached_property
    def way(self) -> tuple[str, ...]:
        """The acts of the cheapest way that the cause ladder takes, in order; its last word is the cause that it names."""
        return _ladder_way(self)

    @property
    def way_minutes(self) -> int:
        """Minutes of that way."""
        return sum(minutes_of(act) for act in self.way[:-1])

    @property
    def budget(self) -> int:
        """Minutes that a learner has."""
        return math.ceil(SLACK * self.way_minutes) + SPARE_MIN


ISOLATE = "Isolate, lock out, prove dead"
DISCHARGE = "Discharge the capacitor, prove it"


@cache
def tests() -> Mapping[str, tuple[Row, ...]]:
    """Tests of the table, each with its outcomes, the usual one first."""
    rows = read_table("separating_tests")
    return {
        name: tuple(row for row in rows if row["test"] == name) for name in dict.fromkeys(row["test"] for row in rows)
    }


def minutes_of(act: str) -> int:
    """Minutes that an act costs. Source: table separating_tests; readings and isolating common practice."""
    if act == ISOLATE:
        return ISOLATE_MIN
    if act == DISCHARGE:
        return DISCHARGE_MIN
    if act in tests():
        return int(tests()[act][0]["minutes"])
    return READINGS[Needle(act.removeprefix("read "))]


def caution_of(act: str) -> str:
    """What to beware of before an act. Source: the same table."""
    if act in tests():
        return tests()[act][0]["caution"] or ""
    return "There may be a second source; prove the meter before and after." if act in (ISOLATE, DISCHARGE) else LIVE


def outcome_of(test: str, cause: str) -> str:
    """What a test shows under a cause. Source: table separating_tests."""
    rows = tests()[test]
    return next((row["shows"] for row in rows if row["cause"] == cause), rows[0]["shows"])


def needed_before(test: str) -> tuple[str, ...]:
    """What must have been done before a test is safe. Source: the same table."""
    needs = tests()[test][0]["needs"]
    return {"dead": (ISOLATE,), "discharged": (ISOLATE, DISCHARGE)}.get(needs or "", ())


def make_hunt(number: int) -> Hunt:
    """The hunt of a number.

    :raises OutsideValidity: no number from nought to a million. Source: causes and sizes by table causes, drawn evenly by how
        often each is met; sizes that hardly show are not drawn.
    """
    if not 0 <= number <= 1_000_000:
        raise OutsideValidity("A hunt has a number from 0 to 1,000,000.")
    rng = np.random.default_rng(number)
    able = [one for one in stands().values() if one.drive is None]
    stand = able[int(rng.integers(len(able)))]
    known = [one.cause for one in causes_on(stand.name)]
    shares = np.array([cause.share for cause in known])
    cause = known[int(rng.choice(len(known), p=shares / shares.sum()))]
    if cause.change is None:
        size = float(rng.choice((-1.0, 1.0)) * rng.uniform(*METER_OFF))
    else:
        low = len(cause.sizes) // 3
        size = float(cause.sizes[int(rng.integers(low, len(cause.sizes)))])
    return Hunt(number, stand, cause, size)


@cache
def causes_on(stand: str) -> tuple[Solved, ...]:
    """Every cause that a stand can have, put into it once; a pump's are left out on fans."""
    rig = stands()[stand]
    setup = setup_of(rig, Controls(value=0.9 if rig.is_electronic else 1.0))
    return tuple(one for one in solve_causes(setup, "fan", belted=False) if one.cause.needle in (None, *READINGS))


def ranked(hunt: Hunt, readings: Mapping[Needle, float]) -> tuple[Rung, ...]:
    """The causes by how well they explain what was read against the readings from when it was right."""
    observed = {
        needle: Observed(math.log(max(value, 1e-9) / hunt.healthy[needle]), math.sqrt(2) * REPEATS[needle])
        for needle, value in readings.items()
    }
    return rank_causes(causes_on(hunt.stand.name), observed)


def _ladder_way(hunt: Hunt) -> tuple[str, ...]:
    """Read what is cheap, rank, then take the cheapest test that tells the first two apart, until one is left.

    Where nothing that is left explains what the tests showed, the flow is read too, and all is ranked anew.
    """
    acts = [f"read {needle}" for needle in FIRST_READ]
    read = {needle: hunt.read(needle) for needle in FIRST_READ}
    shown: dict[str, str] = {}
    rungs = _left(ranked(hunt, read), shown)
    while True:
        if not rungs:
            if Needle.FLOW in read:
                return (*acts, UNKNOWN)
            acts.append(f"read {Needle.FLOW}")
            read[Needle.FLOW] = hunt.read(Needle.FLOW)
            rungs = _left(ranked(hunt, read), shown)
            continue
        sure = rungs[0].share >= CERTAIN * sum(rung.share for rung in rungs)
        test = None if sure or len(rungs) == 1 else _between(rungs[0].cause.name, rungs[1].cause.name, shown)
        if test is None:
            return (*acts, rungs[0].cause.name)
        acts += [*(act for act in needed_before(test) if act not in acts), test]
        shown[test] = outcome_of(test, hunt.cause.name)
        rungs = _left(rungs, shown)


def _left(rungs: Iterable[Rung], shown: Mapping[str, str]) -> tuple[Rung, ...]:
    """The causes that agree with everything that tests have shown."""
    return tuple(
        rung for rung in rungs if all(outcome_of(test, rung.cause.name) == seen for test, seen in shown.items())
    )


def _between(first: str, second: str, shown: Mapping[str, str]) -> str | None:
    """The cheapest test not done yet whose outcome differs between two causes."""
    return next(
        (name for name in tests() if name not in shown and outcome_of(name, first) != outcome_of(name, second)), None
    )


@dataclass(frozen=True)
class Hunting:
    """How far a learner has come: acts in order, minutes, and how it ended, with the reason."""

    hunt: Hunt
    acts: tuple[str, ...] = ()
    minutes: int = 0
    ending: Ending | None = None
    reason: str = ""

    def after(self, act: str) -> Hunting:
        """One act more. An unsafe one ends the hunt with its reason; so does one that goes beyond the budget.

        :raises OutsideValidity: there is no such act, or the hunt has ended.
        """
        self._refuse_ended()
        known = (ISOLATE, DISCHARGE, *tests(), *(f"read {needle}" for needle in READINGS))
        if act not in known:
            raise OutsideValidity(f"There is no act called “{act}” here.")
        minutes = self.minutes + minutes_of(act)
        acts = (*self.acts, act)
        missing = [need for need in needed_before(act) if need not in self.acts] if act in tests() else []
        if missing:
            why = f"“{act}” before “{missing[0].lower()}”: {caution_of(act)}"
            return replace(self, acts=acts, minutes=minutes, ending=Ending.UNSAFE, reason=why)
        if act == DISCHARGE and ISOLATE not in self.acts:
            why = "A capacitor is discharged after the machine was isolated and proved dead, not before."
            return replace(self, acts=acts, minutes=minutes, ending=Ending.UNSAFE, reason=why)
        if minutes > self.hunt.budget:
            why = f"{minutes} minutes of {self.hunt.budget}: the customer has sent you home."
            return replace(self, acts=acts, minutes=minutes, ending=Ending.OUT_OF_TIME, reason=why)
        return replace(self, acts=acts, minutes=minutes)

    def named(self, cause: str) -> Hunting:
        """Name the fault. :raises OutsideValidity: no such cause on this stand, or the hunt has ended."""
        self._refuse_ended()
        if cause not in {one.cause.name for one in causes_on(self.hunt.stand.name)}:
            raise OutsideValidity(f"“{cause}” is no cause that this machine can have.")
        right = cause == self.hunt.cause.name
        why = f"It was: {self.hunt.cause.name}; {self.hunt.cause.words}."
        return replace(self, ending=Ending.FOUND if right else Ending.ANOTHER, reason=why)

    def _refuse_ended(self) -> None:
        if self.ending is not None:
            raise OutsideValidity(f"This hunt has ended: {self.ending}.")
