"""The fault hunt: one or two hidden faults made from a number, what people say of them, and what every meter and test then shows."""

from __future__ import annotations

import math
from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from functools import cache, cached_property

import numpy as np

from modest_rotor.core.bench.shipped import AXIAL, BACKWARD, BLOWER, ELECTRONIC, LINE_FAN, LINE_PUMP, SWITCHED, stands
from modest_rotor.core.bench.stand import Controls, Stand, setup_of
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.identify.causes import REPEATS, Cause, Solved, solve_causes
from modest_rotor.core.identify.perturb import Measurand, Setup, measurands, perturbed, ratios
from modest_rotor.core.say import Number, joined, say
from modest_rotor.core.tables import Row, read_table

READINGS: dict[Measurand, int] = {
    Measurand.VOLTS: 1,
    Measurand.AMPS: 1,
    Measurand.SPEED: 2,
    Measurand.WATTS: 2,
    Measurand.PRESSURE: 3,
    Measurand.FLOW: 8,
}
"""Minutes that each reading takes. Common practice, no source."""
HUNTED = (BLOWER, BACKWARD, AXIAL, SWITCHED, LINE_FAN, ELECTRONIC, LINE_PUMP)
"""Stands on which faults are hidden."""
LEVELS = (say("hunt-levels-one-fault"), say("hunt-levels-one-fault-meter"), say("hunt-levels-two-faults"))
OF_A_LEVEL = 1000
"""Numbers of one level: 0 to 999, then 1,000 to 1,999, and so on."""
COMMON = 0.05
"""How often a cause must be met to be hidden at the first level, or as one of two."""
HIDING = (
    say("hunt-hiding-wheel-off"),
    say("hunt-hiding-run-capacitor"),
    say("hunt-hiding-valve-closed"),
    say("hunt-hiding-pump-runs"),
    say("hunt-hiding-wheel-turns"),
)
"""Causes beside which no other can be seen."""
CLASHING = frozenset({"duct too tight", "duct too open"})
METER_OFF = (0.2, 0.35)
"""How far a meter that is off is off: smallest and largest logarithm. Our judgement, no source."""
WEAK, STRONG = 0.06, 0.03


@dataclass(frozen=True)
class Fault:
    """A hidden fault: its cause, and the size of its change; for a meter that is off the logarithm by which it is."""

    cause: Cause
    size: float


@dataclass(frozen=True)
class Hunt:
    """A hunt as its number makes it: the same for everybody who sets it.

    :param number: from which everything follows. :param stand: on which it happens. :param faults: that are hidden, one or two.
    """

    number: int
    stand: Stand
    faults: tuple[Fault, ...]

    @property
    def level(self) -> int:
        """How hard it is: 1, 2 or 3."""
        return level_of(self.number)

    @property
    def hidden(self) -> tuple[str, ...]:
        """The causes that are hidden, by name."""
        return tuple(fault.cause.name for fault in self.faults)

    @cached_property
    def setup(self) -> Setup:
        """The machine as it should be."""
        return right_setup(self.stand)

    @cached_property
    def healthy(self) -> Mapping[Measurand, float]:
        """Readings from when it was right, as they are handed to the learner."""
        shown = measurands(self.setup.settled()) | {Measurand.VOLTS: self.setup.supply.voltage}
        return {measurand: float(np.ravel(shown[measurand])[0]) for measurand in READINGS}

    @cached_property
    def now(self) -> Mapping[Measurand, float]:
        """What the readings truly show with the faults in, one put in after the other."""
        values, setup = dict(self.healthy), self.setup
        for fault in self.faults:
            if fault.cause.change is None:
                continue
            moved = ratios(setup, fault.cause.change, fault.size)
            for measurand in values:
                values[measurand] *= max(1 + float(np.ravel(moved.get(measurand, 0.0))[0]), 0.0)
            setup = perturbed(setup, fault.cause.change, fault.size)
        for fault in self.faults:
            if fault.cause.measurand is not None:
                values[fault.cause.measurand] *= math.exp(fault.size)
        return values

    def read(self, measurand: Measurand, again: int = 0) -> float:
        """A reading with its meter's error; the same for everybody, another one when it is read again.

        :param measurand: which meter, in the unit used inside. :param again: how often it was read before. Source:
        an error of its logarithm as ``REPEATS`` has it, normal, our judgement.
        """
        rng = np.random.default_rng((self.number, list(READINGS).index(measurand), again))
        return self.now[measurand] * math.exp(float(rng.normal(0.0, REPEATS[measurand])))

    @property
    def complaint(self) -> str:
        """What the people there say, in plain words: it follows from what the machine does."""
        flow, watts = (
            self.now[measurand] / self.healthy[measurand] - 1 for measurand in (Measurand.FLOW, Measurand.WATTS)
        )
        none, less, more = _PUMP_SAID if self.stand.is_pump else _FAN_SAID
        if flow < -0.5:
            return none
        if flow < -WEAK:
            return less
        if flow > WEAK:
            return more
        if abs(watts) > STRONG:
            return say("hunt-complaint-seems-do")
        return say("hunt-complaint-somebody-says")


_FAN_SAID = (say("hunt-fan-said-next-nothing"), say("hunt-fan-said-blows-weaker"), say("hunt-fan-said-draughty-since"))
_PUMP_SAID = (say("hunt-pump-said-far-rooms"), say("hunt-pump-said-last-rooms"), say("hunt-pump-said-pipes-hiss"))


def right_setup(stand: Stand) -> Setup:
    """A stand as it should be: an electronic motor is told nine tenths of its speed."""
    return setup_of(stand, Controls(value=0.9 if stand.is_electronic else 1.0))


def level_of(number: int) -> int:
    """How hard a number's hunt is: 1, 2 or 3.

    :raises OutsideValidity: no number of a hunt. Source: definition.
    """
    most = OF_A_LEVEL * len(LEVELS) - 1
    if not 0 <= number <= most:
        raise OutsideValidity(say("hunt-level-of", most=Number(most, ",")))
    return number // OF_A_LEVEL + 1


def make_hunt(number: int) -> Hunt:
    """The hunt of a number.

    :raises OutsideValidity: as :func:`level_of`. Source: causes and sizes by table causes, drawn by how often each is met;
        sizes that hardly show are not drawn.
    """
    level = level_of(number)
    rng = np.random.default_rng(number)
    stand = stands()[HUNTED[int(rng.integers(len(HUNTED)))]]
    known = [one.cause for one in causes_on(stand.name)]
    if level != 2:
        known = [cause for cause in known if cause.change is not None and cause.share >= COMMON]
    if level == 3:
        known = [cause for cause in known if cause.name not in HIDING]
    count = 2 if level == 3 else 1
    while True:
        shares = np.array([cause.share for cause in known])
        picked = rng.choice(len(known), size=count, replace=False, p=shares / shares.sum())
        causes = [known[int(index)] for index in picked]
        if not {cause.name for cause in causes} >= CLASHING:
            return Hunt(number, stand, tuple(Fault(cause, _size(cause, level, rng)) for cause in causes))


def _size(cause: Cause, level: int, rng: np.random.Generator) -> float:
    if cause.change is None:
        return float(rng.choice((-1.0, 1.0)) * rng.uniform(*METER_OFF))
    low = len(cause.sizes) // (3 if level == 2 else 2)
    return float(cause.sizes[int(rng.integers(low, len(cause.sizes)))])


@cache
def causes_on(stand: str) -> tuple[Solved, ...]:
    """Every cause that a stand can have, put into it once."""
    rig = stands()[stand]
    found = solve_causes(right_setup(rig), rig.medium.machine, belted=False)
    return tuple(one for one in found if one.cause.measurand in (None, *READINGS))


@cache
def pairs_on(stand: str) -> tuple[Solved, ...]:
    """Every two causes that may be hidden together, each pair as one: its moves are the sum of both in their logarithm.

    Validity: to first order, two small changes. Source: definition of the logarithm.
    """
    able = [
        one
        for one in causes_on(stand)
        if one.cause.change is not None and one.cause.share >= COMMON and one.cause.name not in HIDING
    ]
    return tuple(
        _pair(first, second)
        for place, first in enumerate(able)
        for second in able[place + 1 :]
        if not {first.cause.name, second.cause.name} >= CLASHING
    )


AND = " + "


def _pair(first: Solved, second: Solved) -> Solved:
    one, two = first.cause, second.cause
    sizes = tuple(float(index) for index in range(len(one.sizes) * len(two.sizes)))
    cause = Cause(
        f"{one.name}{AND}{two.name}",
        one.change,
        None,
        sizes,
        one.share * two.share,
        one.machine,
        one.repair,
        f"{one.words}; {two.words}",
        one.next,
    )
    moves = {
        measurand: (first.moves[measurand][:, :, None] + second.moves[measurand][:, None, :]).reshape(-1, len(sizes))
        for measurand in first.moves
        if measurand in second.moves
    }
    return Solved(cause, moves)


def names_in(cause: str) -> tuple[str, ...]:
    """The causes of a pair, or the one that is named. Source: definition."""
    return tuple(cause.split(AND))


@cache
def all_tests() -> Mapping[str, tuple[Row, ...]]:
    """Tests of the table, each with its outcomes, the usual one first."""
    rows = read_table("separating_tests")
    return {
        name: tuple(row for row in rows if row["test"] == name) for name in dict.fromkeys(row["test"] for row in rows)
    }


@cache
def tests_on(stand: str) -> tuple[str, ...]:
    """The tests that tell anything on a stand: those with an outcome of their own for a cause that it can have."""
    names = {one.cause.name for one in causes_on(stand)}
    machines = ("both", stands()[stand].medium.machine)
    return tuple(
        test
        for test, rows in all_tests().items()
        if rows[0]["machine"] in machines and any(row["cause"] in names for row in rows)
    )


def outcome_of(test: str, causes: Iterable[str]) -> str:
    """What a test shows under one cause or several: their own outcomes, or the usual one. Source: table separating_tests."""
    rows, causes = all_tests()[test], tuple(causes)
    own = [row["shows"] for row in rows if row["cause"] in causes]
    return joined("; ", own) if own else rows[0]["shows"]
