"""The ranking of causes: what explains the readings, what speaks for and against it, and the cheapest test between the top two."""

from __future__ import annotations

import math

from modest_rotor.core.estimate import COVERAGE_95
from modest_rotor.core.identify.causes import Cause, WeighedCause, rank_causes, solve_causes
from modest_rotor.core.identify.perturb import Measurand
from modest_rotor.core.options.baseline import Baseline
from modest_rotor.core.outcome import Absent
from modest_rotor.core.phrase import Frozen, Phrase, figure
from modest_rotor.core.physics.fan import MachineType, medium_of
from modest_rotor.core.say import say, tell
from modest_rotor.core.tables import Row, read_table

LEAST_SHOWN, MOST_SHOWN, LEAST_SHARE = 2, 6, 0.01
AGREES, DISAGREES = 1.5, 2.5
"""Standard deviations within which a reading speaks for a cause, and beyond which against it."""
STILL = 0.02
SOURCE = say("ranked-causes-source")


class RankedCause(Frozen):
    """One cause: how well it explains the readings, and what speaks for and against it."""

    cause: str
    words: str
    share: float
    repair: bool
    speaks_for: tuple[Phrase, ...]
    speaks_against: tuple[Phrase, ...]


class SeparatingTest(Frozen):
    """The cheapest test whose outcome differs between the first two causes."""

    first: str
    second: str
    test: str
    minutes: int
    caution: str
    how: str
    if_first: str
    if_second: str


class RankedCauses(Frozen):
    """The causes in order, or what the ranking waits for."""

    waits: str | None
    against: str | None = None
    now: str | None = None
    rough: bool = False
    still: bool = False
    ranked: tuple[RankedCause, ...] = ()
    test: SeparatingTest | None = None
    source: str = SOURCE


def ranked_causes(found: Baseline | Absent, machine_type: MachineType | None) -> RankedCauses:
    """The ranking of a job's last set against the machine as it should be."""
    if isinstance(found, Absent) or machine_type is None:
        return RankedCauses(waits=found.why if isinstance(found, Absent) else say("term-waits-for-what-the-motor"))
    ranked = rank_causes(
        solve_causes(found.setup, medium_of(machine_type).machine, found.belted, found.rough), found.observed
    )
    still = all(
        abs(seen.log_ratio) <= max(COVERAGE_95 * seen.sd, STILL if found.rough else 0.0)
        for seen in found.observed.values()
    )
    shown = [weighed for place, weighed in enumerate(ranked) if weighed.share >= LEAST_SHARE or place < LEAST_SHOWN][
        :MOST_SHOWN
    ]
    return RankedCauses(
        waits=None,
        against=found.against,
        now=found.now.title,
        rough=found.rough,
        still=still,
        ranked=tuple(_told(weighed, found, medium_of(machine_type).machine) for weighed in shown),
        test=separating(ranked[0].cause, ranked[1].cause, medium_of(machine_type).machine) if len(ranked) > 1 else None,
    )


def _told(weighed: WeighedCause, found: Baseline, machine: str) -> RankedCause:
    name, words, _ = weighed.cause.told_on(machine)
    said = [(measurand, abs(strain)) for measurand, strain in weighed.strain.items()]
    return RankedCause(
        cause=name,
        words=words,
        share=weighed.share,
        repair=weighed.cause.repair,
        speaks_for=tuple(_measurand(measurand, weighed, found) for measurand, strain in said if strain <= AGREES and _moves(measurand, weighed, found)),
        speaks_against=tuple(_measurand(measurand, weighed, found) for measurand, strain in said if strain >= DISAGREES),
    )  # fmt: skip


def _moves(measurand: Measurand, weighed: WeighedCause, found: Baseline) -> bool:
    """Whether the cause moves the reading enough for its agreement to say anything."""
    return abs(weighed.expected[measurand]) > found.observed[measurand].sd


def _measurand(measurand: Measurand, weighed: WeighedCause, found: Baseline) -> Phrase:
    seen = math.exp(found.observed[measurand].log_ratio) - 1
    expected = math.exp(weighed.expected[measurand]) - 1
    return tell(
        "ranked-causes-measurand",
        measurand=measurand,
        plus=_plus(seen),
        seen=figure("change", seen, "measured"),
        plus_expected=_plus(expected),
        expected=figure("change", expected, "estimated"),
    )


def _plus(change: float) -> str:
    """A rise shows its sign, as a fall does."""
    return "+" if change > 0 else ""


def separating(one: Cause, other: Cause, machine: str) -> SeparatingTest | None:
    """The cheapest test of a kind of machine, ``fan`` or ``pump``, whose outcome differs between two causes. Source: table
    separating_tests, common practice.
    """
    rows = [row for row in read_table("separating_tests") if row["machine"] in (machine, "both")]
    for name in dict.fromkeys(row["test"] for row in rows):
        own = [row for row in rows if row["test"] == name]
        if_first, if_second = _shows(own, one.name), _shows(own, other.name)
        if if_first != if_second:
            return SeparatingTest(
                first=one.told_on(machine)[0],
                second=other.told_on(machine)[0],
                test=name,
                minutes=int(own[0]["minutes"]),
                caution=own[0]["caution"],
                how=own[0]["how"],
                if_first=if_first,
                if_second=if_second,
            )
    return None


def _shows(rows: list[Row], cause: str) -> str:
    own = next((row["shows"] for row in rows if row["cause"] == cause), None)
    return own or rows[0]["shows"]
