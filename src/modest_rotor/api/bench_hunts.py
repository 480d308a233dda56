"""Fault hunts of the Bench over HTTP: what may be done, what was seen, the debrief, results for whoever teaches."""

from __future__ import annotations

import math

from fastapi import APIRouter, Response
from pydantic import Field

from modest_rotor.api.contracts import LONGEST_NAME, Learner, Words
from modest_rotor.core.bench.hunt import LEVELS, OF_A_LEVEL, Hunt, causes_on, make_hunt
from modest_rotor.core.bench.hunting import (
    ASK,
    READ_BY,
    Ending,
    Hunting,
    acts_on,
    caution_of,
    cheapest_acts,
    cheapest_minutes,
    minutes_of,
    next_level,
    next_steps,
)
from modest_rotor.core.bench.why import Moves
from modest_rotor.core.estimate import COVERAGE_95
from modest_rotor.core.identify.causes import REPEATS
from modest_rotor.core.identify.perturb import Measurand
from modest_rotor.core.phrase import Figure, WithWords
from modest_rotor.core.recognized import meant
from modest_rotor.core.say import say
from modest_rotor.formats.hunts_csv import HuntResult, write_hunts
from modest_rotor.store import bench
from modest_rotor.store.bench import KeptHunt
from modest_rotor.store.database import with_connection

router = APIRouter(prefix="/api/bench", tags=["bench"])
MOST_ACTS = 200
QUANTITIES = {
    Measurand.VOLTS: "voltage",
    Measurand.AMPS: "current",
    Measurand.SPEED: "speed",
    Measurand.WATTS: "input_power",
    Measurand.PRESSURE: "pressure",
    Measurand.FLOW: "airflow",
}


class HuntAct(WithWords):
    """Something that may be done, its minutes and its caution; ``times`` is how often it was."""

    act: str
    reads: Measurand | None = Field(description="the meter that it reads; none for a test")
    minutes: int
    caution: str
    times: int


class HuntSeen(WithWords):
    """What an act showed: readings against those from when it was right, or words."""

    act: str
    reads: Measurand | None = Field(default=None, description="the meter that it reads; none for a test")
    minutes: int
    now: Figure | None = None
    healthy: Figure | None = None
    change: Figure | None = Field(default=None, description="of the reading against that from when it was right")
    moves: Moves | None = Field(default=None, description="beyond both uncertainties")
    words: str | None = None


class HuntLine(WithWords):
    """A step of the cheapest hunt in the debrief."""

    act: str
    minutes: int


class Debrief(WithWords):
    """How a hunt ended, and the cheapest that there was."""

    ending: Ending
    reason: str
    hidden: tuple[str, ...]
    next_steps: tuple[str, ...] = Field(description="what the hidden causes ask for")
    next_right: bool
    cheapest: tuple[HuntLine, ...] = Field(description="steps of the cheapest hunt that there was")
    cheapest_minutes: int


class HuntView(WithWords):
    """A hunt as far as a learner has come; nothing of what is hidden before it has ended."""

    number: int
    level: int
    level_words: str
    machine: str
    complaint: str
    count: int = Field(description="how many faults are hidden")
    minutes: int
    budget: int
    acts: tuple[HuntAct, ...]
    seen: tuple[HuntSeen, ...]
    causes: tuple[str, ...]
    ruled_out: dict[str, str]
    steps: tuple[str, ...]
    debrief: Debrief | None


class HuntSoFar(WithWords):
    """What was done in a hunt, in order, and what was named at its end."""

    acts: tuple[Words, ...] = Field(default=(), max_length=MOST_ACTS)
    causes: tuple[Words, ...] = Field(default=(), max_length=4)
    next_step: Words = Field(default="", max_length=120)
    attempt: Words = Field(default="", max_length=40, description="a name of this attempt, so that it is kept once")
    who: Words = Field(default="", max_length=LONGEST_NAME)


class NextHunt(WithWords):
    """Which hunt to go on with, by the record."""

    number: int
    level: int
    ended: tuple[HuntResult, ...] = Field(description="hunts of this learner, newest first")


@router.get("/hunts/next")
@with_connection
def next_hunt(who: Learner = "") -> NextHunt:
    """Which hunt to go on with: the level follows the record, and its first number that was not hunted yet."""
    ended = bench.hunts_of(who.strip())
    level = next_level((make_hunt(one.number).level, one.ending) for one in ended)
    done = {one.number for one in ended}
    first = (level - 1) * OF_A_LEVEL + 1
    number = next((number for number in range(first, level * OF_A_LEVEL) if number not in done), first)
    return NextHunt(number=number, level=level, ended=tuple(_result(one) for one in reversed(ended)))


@router.get("/hunts.csv")
@with_connection
def hunts_csv() -> Response:
    """Every hunt that has ended, of all learners, as CSV."""
    text = write_hunts(_result(one) for one in bench.hunts_of())
    headers = {"content-disposition": 'attachment; filename="hunts.csv"'}
    return Response("\ufeff" + text, media_type="text/csv; charset=utf-8", headers=headers)


@router.post("/hunts/{number}")
@with_connection
def hunt(number: int, so_far: HuntSoFar) -> HuntView:
    """A hunt after everything that was done in it; kept once it has ended."""
    hunting = Hunting(make_hunt(number))
    for act in so_far.acts:
        hunting = hunting.after(meant(act, acts_on(hunting.hunt)))
    if so_far.causes:
        known = tuple(one.cause.name for one in causes_on(hunting.hunt.stand.name))
        named = tuple(meant(cause, known) for cause in so_far.causes)
        hunting = hunting.name(named, meant(so_far.next_step, next_steps()))
    if hunting.ending is not None and so_far.attempt:
        bench.keep_hunt(so_far.who.strip(), so_far.attempt, hunting)
    return _hunt_view(hunting)


def _hunt_view(hunting: Hunting) -> HuntView:
    at = hunting.hunt
    return HuntView(
        number=at.number,
        level=at.level,
        level_words=LEVELS[at.level - 1],
        machine=at.stand.name,
        complaint=at.complaint,
        count=len(at.faults),
        minutes=hunting.minutes,
        budget=hunting.budget,
        acts=tuple(
            HuntAct(
                act=act,
                reads=READ_BY.get(act),
                minutes=minutes_of(act),
                caution=caution_of(act),
                times=hunting.acts.count(act),
            )
            for act in acts_on(at)
        ),
        seen=_seen(hunting),
        causes=tuple(one.cause.name for one in causes_on(at.stand.name)),
        ruled_out=hunting.ruled_out,
        steps=next_steps(),
        debrief=_debrief(hunting),
    )


def _seen(hunting: Hunting) -> tuple[HuntSeen, ...]:
    """What every act showed, in order; readings with the error of their meter, the ranking as it stood then."""
    found, so_far = [], Hunting(hunting.hunt)
    for act in hunting.acts:
        so_far = so_far.after(act)
        if measurand := READ_BY.get(act):
            now, healthy = so_far.readings[measurand][-1], hunting.hunt.healthy[measurand]
            share = now / healthy - 1
            uncertainty = COVERAGE_95 * math.sqrt(2) * REPEATS[measurand]
            found.append(
                HuntSeen(
                    act=act,
                    reads=measurand,
                    minutes=minutes_of(act),
                    now=_figure(hunting.hunt, measurand, now),
                    healthy=_figure(hunting.hunt, measurand, healthy),
                    change=Figure(quantity="change", value=share, uncertainty=uncertainty),
                    moves=Moves(0 if abs(share) < uncertainty else 1 if share > 0 else -1),
                )
            )
            continue
        words = so_far.shown.get(act)
        if act == ASK:
            words = "; ".join(f"{name} {100 * share:.0f} %" for name, share in so_far.told) or say("bench-hunts-seen")
        found.append(HuntSeen(act=act, minutes=minutes_of(act), words=words))
    return tuple(found)


def _figure(at: Hunt, measurand: Measurand, value: float) -> Figure:
    uncertainty = COVERAGE_95 * REPEATS[measurand] * value
    return Figure(quantity=_quantity(at, measurand), value=value, uncertainty=uncertainty, basis="measured")


def _quantity(at: Hunt, measurand: Measurand) -> str:
    medium = at.stand.medium
    return {Measurand.FLOW: medium.flow, Measurand.PRESSURE: medium.pressure}.get(measurand) or QUANTITIES[measurand]


def _debrief(hunting: Hunting) -> Debrief | None:
    if hunting.ending is None:
        return None
    number = hunting.hunt.number
    return Debrief(
        ending=hunting.ending,
        reason=hunting.reason,
        hidden=hunting.hunt.hidden,
        next_steps=tuple(dict.fromkeys(fault.cause.next for fault in hunting.hunt.faults)),
        next_right=hunting.next_is_right,
        cheapest=tuple(HuntLine(act=act, minutes=minutes_of(act)) for act in cheapest_acts(number)[:-1]),
        cheapest_minutes=cheapest_minutes(number),
    )


def _result(kept: KeptHunt) -> HuntResult:
    at = make_hunt(kept.number)
    return HuntResult(
        who=kept.who,
        at=kept.at,
        number=kept.number,
        level=at.level,
        machine=at.stand.name,
        ending=str(kept.ending),
        minutes=kept.minutes,
        budget=kept.budget,
        cheapest=kept.cheapest,
        hidden="; ".join(at.hidden),
        named="; ".join(kept.named),
        next_step=kept.next_step,
        next_right=kept.next_right,
        acts="; ".join(kept.acts),
    )
