"""A learner's way through a hunt: acts that cost minutes and carry cautions, how it ends, and the cheapest way there was."""

from __future__ import annotations

import math
from collections.abc import Iterable, Mapping
from dataclasses import dataclass, replace
from functools import cache, cached_property

from modest_rotor.core.bench.hunt import (
    READINGS,
    Hunt,
    all_tests,
    causes_on,
    make_hunt,
    names_in,
    outcome_of,
    pairs_on,
    tests_on,
)
from modest_rotor.core.coded import Coded
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.identify.causes import REPEATS, Observed, WeighedCause, all_causes, rank_causes
from modest_rotor.core.identify.perturb import Measurand
from modest_rotor.core.say import joined, say


def reading_act(measurand: Measurand) -> str:
    """The act that takes a reading."""
    return say("hunting-reading-act", measurand=measurand)


READ_BY = {reading_act(measurand): measurand for measurand in READINGS}
"""Acts that take a reading, each with what it is of."""
FIRST_READ = (Measurand.VOLTS, Measurand.AMPS, Measurand.SPEED, Measurand.WATTS, Measurand.PRESSURE)
LIVE = say("hunting-live")
ISOLATE = say("hunting-isolate")
DISCHARGE = say("hunting-discharge")
ASK = say("hunting-ask")
MINUTES = {ISOLATE: 4, DISCHARGE: 1, ASK: 5}
CAUTIONS = {
    ISOLATE: say("hunting-cautions-there-may"),
    DISCHARGE: say("hunting-cautions-through-resistor"),
    ASK: say("hunting-cautions-ranks-what"),
}
TOLD = 3
"""Causes that the ranking tells when it is asked."""
SLACK, SPARE_MIN = 1.6, 8
"""Budget over the cheapest way's minutes, and minutes to spare. Our judgement, no source."""
CERTAIN = 0.985
UNKNOWN = say("hunting-unknown")
WRONG_STEPS = (
    say("hunting-wrong-steps-replace-motor"),
    say("hunting-wrong-steps-fit-larger"),
    say("hunting-wrong-steps-turn-protection"),
)
"""Next steps that no proved cause here asks for."""


class Ending(Coded):
    """How a hunt ends."""

    FOUND = "found"
    HALF = "half"
    ANOTHER = "another"
    UNSAFE = "unsafe"
    OUT_OF_TIME = "out-of-time"


def minutes_of(act: str) -> int:
    """Minutes that an act costs. Source: table separating_tests; readings and isolating common practice."""
    if act in MINUTES:
        return MINUTES[act]
    if act in all_tests():
        return int(all_tests()[act][0]["minutes"])
    return READINGS[READ_BY[act]]


def caution_of(act: str) -> str:
    """What to beware of before an act. Source: the same table."""
    if act in all_tests():
        return all_tests()[act][0]["caution"] or ""
    return CAUTIONS.get(act, LIVE)


def needed_before(test: str) -> tuple[str, ...]:
    """What must have been done before a test is safe. Source: the same table."""
    if test == DISCHARGE:
        return (ISOLATE,)
    needs = all_tests()[test][0]["needs"] if test in all_tests() else None
    return {"dead": (ISOLATE,), "discharged": (ISOLATE, DISCHARGE)}.get(needs or "", ())


def acts_on(hunt: Hunt) -> tuple[str, ...]:
    """Everything that may be done in a hunt, in the order of the hands."""
    dead = (ISOLATE, DISCHARGE) if hunt.stand.has_capacitor else (ISOLATE,)
    return (*READ_BY, *dead, *tests_on(hunt.stand.name), ASK)


@cache
def next_steps() -> tuple[str, ...]:
    """The next steps that may be named: one for each cause, and some that none asks for."""
    return (*dict.fromkeys(cause.next for cause in all_causes()), *WRONG_STEPS)


def weighed_causes(
    hunt: Hunt, readings: Mapping[Measurand, float], shown: Mapping[str, str]
) -> tuple[WeighedCause, ...]:
    """The causes, or pairs of them, that agree with every test so far, by how well they explain what was read.

    :param readings: in SI, against those from when it was right. :param shown: what each test has shown.
    """
    observed = {
        measurand: Observed(math.log(max(value, 1e-9) / hunt.healthy[measurand]), math.sqrt(2) * REPEATS[measurand])
        for measurand, value in readings.items()
    }
    known = pairs_on(hunt.stand.name) if len(hunt.faults) > 1 else causes_on(hunt.stand.name)
    return _left(rank_causes(known, observed), shown)


@cache
def cheapest_acts(number: int) -> tuple[str, ...]:
    """The acts of the cheapest way that the ranking of causes takes, in order; its last word is the cause that it names.

    Read what is cheap, rank, then take the cheapest test that tells the first two apart, until one is left. Where nothing that
    is left explains what the tests showed, the flow is read too, and all is ranked anew.
    """
    hunt = make_hunt(number)
    acts = [reading_act(measurand) for measurand in FIRST_READ]
    read = {measurand: hunt.read(measurand) for measurand in FIRST_READ}
    shown: dict[str, str] = {}
    ranked = weighed_causes(hunt, read, shown)
    while True:
        if not ranked:
            if Measurand.FLOW in read:
                return (*acts, UNKNOWN)
            acts.append(reading_act(Measurand.FLOW))
            read[Measurand.FLOW] = hunt.read(Measurand.FLOW)
            ranked = weighed_causes(hunt, read, shown)
            continue
        sure = ranked[0].share >= CERTAIN * sum(weighed.share for weighed in ranked)
        test = None if sure or len(ranked) == 1 else _between(hunt, ranked[0].cause.name, ranked[1].cause.name, shown)
        if test is None:
            return (*acts, ranked[0].cause.name)
        acts += [*(act for act in needed_before(test) if act not in acts), test]
        shown[test] = outcome_of(test, hunt.hidden)
        ranked = _left(ranked, shown)


def cheapest_minutes(number: int) -> int:
    """Minutes of the cheapest way."""
    return sum(minutes_of(act) for act in cheapest_acts(number)[:-1])


def budget_of(number: int) -> int:
    """Minutes that a learner has."""
    return math.ceil(SLACK * cheapest_minutes(number)) + SPARE_MIN


def _left(ranked: Iterable[WeighedCause], shown: Mapping[str, str]) -> tuple[WeighedCause, ...]:
    """The causes that agree with everything that tests have shown."""
    return tuple(
        weighed
        for weighed in ranked
        if all(outcome_of(test, names_in(weighed.cause.name)) == seen for test, seen in shown.items())
    )


def _between(hunt: Hunt, first: str, second: str, shown: Mapping[str, str]) -> str | None:
    """The cheapest test not done yet whose outcome differs between two causes."""
    return next(
        (
            name
            for name in tests_on(hunt.stand.name)
            if name not in shown and outcome_of(name, names_in(first)) != outcome_of(name, names_in(second))
        ),
        None,
    )


@dataclass(frozen=True)
class Hunting:
    """How far a learner has come: acts in order, minutes, and how it ended, with the reason."""

    hunt: Hunt
    acts: tuple[str, ...] = ()
    minutes: int = 0
    ending: Ending | None = None
    reason: str = ""
    named: tuple[str, ...] = ()
    next_step: str = ""

    @property
    def budget(self) -> int:
        """Minutes that the learner has."""
        return budget_of(self.hunt.number)

    def after(self, act: str) -> Hunting:
        """One act more. An unsafe one ends the hunt with its reason; so does one that goes beyond the budget.

        :raises OutsideValidity: there is no such act, or the hunt has ended.
        """
        self._refuse_ended()
        if act not in acts_on(self.hunt):
            raise OutsideValidity(say("hunting-after-there-act", act=act[:60]))
        done = replace(self, acts=(*self.acts, act), minutes=self.minutes + minutes_of(act))
        missing = [need for need in needed_before(act) if need not in self.acts]
        if missing:
            why = say("hunting-after-before", act=act, missing=missing[0], caution_of=caution_of(act))
            return replace(done, ending=Ending.UNSAFE, reason=why)
        if done.minutes > self.budget:
            why = say("hunting-after-minutes-customer", minutes=done.minutes, budget=self.budget)
            return replace(done, ending=Ending.OUT_OF_TIME, reason=why)
        return done

    def name(self, causes: Iterable[str], next_step: str) -> Hunting:
        """Name what was hidden, and what is to be done next.

        :raises OutsideValidity: none or too many named, no such cause or step on this stand, or the hunt has ended.
        """
        self._refuse_ended()
        named, count = tuple(dict.fromkeys(causes)), len(self.hunt.faults)
        if not 1 <= len(named) <= count:
            raise OutsideValidity(
                say(
                    "hunting-name-name-nothing",
                    one_cause=say("hunting-name-one-cause") if count == 1 else say("hunting-name-one-two"),
                )
            )
        known = {one.cause.name for one in causes_on(self.hunt.stand.name)}
        strange = [cause for cause in named if cause not in known]
        if strange:
            raise OutsideValidity(say("hunting-name-cause-machine", strange=strange[0][:60]))
        if next_step not in next_steps():
            raise OutsideValidity(say("hunting-name-say-what"))
        right = len(set(named) & set(self.hunt.hidden))
        ending = Ending.FOUND if right == count else Ending.HALF if right else Ending.ANOTHER
        why = joined("; ", (f"{fault.cause.name}: {fault.cause.words}" for fault in self.hunt.faults))
        return replace(self, ending=ending, reason=f"Hidden was {why}.", named=named, next_step=next_step)

    @property
    def next_is_right(self) -> bool:
        """Whether the step that was named is one that a hidden cause asks for."""
        return self.next_step in {fault.cause.next for fault in self.hunt.faults}

    @cached_property
    def readings(self) -> dict[Measurand, tuple[float, ...]]:
        """What was read so far, each reading as often as it was."""
        found: dict[Measurand, tuple[float, ...]] = {}
        for act in self.acts:
            if measurand := READ_BY.get(act):
                before = found.get(measurand, ())
                found[measurand] = (*before, self.hunt.read(measurand, len(before)))
        return found

    @cached_property
    def shown(self) -> dict[str, str]:
        """What tests have shown; an unsafe one shows nothing more."""
        acts = self.acts[:-1] if self.ending is Ending.UNSAFE else self.acts
        return {act: outcome_of(act, self.hunt.hidden) for act in acts if act in all_tests()}

    @property
    def ruled_out(self) -> dict[str, str]:
        """Causes that a test would have shown and did not, each with that test."""
        return {
            row["cause"]: test
            for test, seen in self.shown.items()
            for row in all_tests()[test]
            if row["cause"] and row["shows"] not in seen.split("; ")
        }

    @property
    def told(self) -> tuple[tuple[str, float], ...]:
        """What the ranking says when it is asked: the first causes and their shares."""
        means = {measurand: sum(values) / len(values) for measurand, values in self.readings.items()}
        ranked = weighed_causes(self.hunt, means, self.shown)
        whole = sum(weighed.share for weighed in ranked) or 1.0
        return tuple((weighed.cause.name, weighed.share / whole) for weighed in ranked[:TOLD])

    def _refuse_ended(self) -> None:
        if self.ending is not None:
            raise OutsideValidity(say("hunting-refuse-ended", ending=self.ending))


def next_level(endings: Iterable[tuple[int, Ending]]) -> int:
    """The level to go on with: up after two found in a row at it, down after two missed, from hunts as level and ending.

    :param endings: oldest first. Source: our judgement, no source.
    """
    level, row = 1, 0
    for at, ending in endings:
        if at != level:
            level, row = at, 0
        row = (max(row, 0) + 1) if ending is Ending.FOUND else (min(row, 0) - 1)
        if row >= ROW and level < 3:
            level, row = level + 1, 0
        elif row <= -ROW and level > 1:
            level, row = level - 1, 0
    return level


ROW = 2
