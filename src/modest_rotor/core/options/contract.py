"""The contract of a kind of replacement: demands in, solved duty steps out; and what every kind shares."""

from __future__ import annotations

import math
from abc import ABC, abstractmethod
from collections.abc import Callable
from dataclasses import dataclass, replace
from typing import NamedTuple

import numpy as np

from modest_rotor.core.coded import Coded
from modest_rotor.core.estimate import Array, Estimate, propagate
from modest_rotor.core.identify.efficiency import TypicalMotor
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.rating import Rating, electronic_rating
from modest_rotor.core.options.traits import Traits
from modest_rotor.core.outcome import Absent, Withheld
from modest_rotor.core.physics.drive import LINEAR
from modest_rotor.core.physics.fan import MachineCurve
from modest_rotor.core.physics.system import SystemCurve, system_through
from modest_rotor.core.say import joined
from modest_rotor.core.stations.duty import PartFlow
from modest_rotor.core.stations.options import Candidate, OptionKind

__all__ = ["Asked", "Columns", "Demand", "How", "Option", "OptionKind", "SolvedStep"]

AS_FULL = 1.02
"""A share of full speed up to which a command is told as full: no dial and no meter tells it from that."""
NEAR_FULL = 0.995
"""A share of full flow from which on a step counts as full."""


NOBODY = Candidate(id="none")


class How(Coded):
    """The ways in which a duty step is solved; each has its own formulas."""

    AS_FOUND = "as-found"
    THROTTLED = "throttled"
    ON_TAP = "on-tap"
    SLIP_LINE = "slip-line"
    AS_TODAY = "as-today"
    COMMANDED = "commanded"
    SYNCHRONOUS = "synchronous"
    SOLVED = "solved"
    SOLVED_THROTTLED = "solved-throttled"
    SOLVED_TAP = "solved-tap"
    ON_DRIVE = "on-drive"
    REGULATED = "regulated"
    HELD_TORQUE = "held-torque"
    FIXED_SPEED = "fixed-speed"
    OWN_WHEEL = "own-wheel"
    FEWER_FANS = "fewer-fans"
    OTHER_WHEEL_SPEED = "other-wheel-speed"
    HELD_PRESSURE = "held-pressure"


@dataclass(frozen=True)
class Demand:
    """What a duty step asks for.

    :param share: demanded flow as a share of full flow.
    :param floor: least share that may be proposed here (a protected duty); zero where nothing protects it.
    :param tap: the tap that the step runs on today, where it was said by its tap.
    """

    id: str
    share: float
    floor: float = 0.0
    tap: str | None = None

    @property
    def wanted(self) -> float:
        """The share that an option aims at."""
        return max(self.share, self.floor)


@dataclass(frozen=True)
class SolvedStep:
    """One duty step of one option: all five estimates, or in ``absent`` why they are not there. ``remark`` says more of either.

    Flow and pressure are in m³/s and Pa, or relative as on the machine as found. ``current`` is the line's, A; ``setting``
    what the option is told there, in the unit of its quantity, with ``set_words`` before it. ``wheel_ratio`` is the wheel's
    turns for one of the motor's, over today's; 0 where the wheel is another one. ``too_small``: the next size up is wanted.
    """

    id: str
    flow: Estimate | None = None
    pressure: Estimate | None = None
    speed: Estimate | None = None
    shaft_power: Estimate | None = None
    input_power: Estimate | None = None
    remark: str = ""
    how: How = How.AS_FOUND
    current: Estimate | None = None
    setting: Estimate | None = None
    set_quantity: str = ""
    set_words: str = ""
    wheel_ratio: float | None = None
    too_small: bool = False
    absent: Absent | None = None

    def noted(self, *remarks: str) -> SolvedStep:
        """The same with more said of it."""
        return replace(self, remark=joined("; ", dict.fromkeys(filter(None, (self.remark, *remarks)))))

    @property
    def words(self) -> str:
        """Why it is not there, and what else is said of it."""
        return joined("; ", filter(None, (self.absent.why if self.absent else "", self.remark)))


@dataclass(frozen=True)
class VoltsLaw:
    """How a drive's volts follow its hertz, as Set-up says or proposes: exponent, and share over or under the line."""

    exponent: float = LINEAR
    trim: float = 0.0


STRAIGHT = VoltsLaw()


@dataclass(frozen=True)
class Asked:
    """What an option is asked beside its demands.

    :param part_flow: how part flow is met today. :param candidate: what was said of this option.
    :param machines: machines alike, side by side. :param phases: at the machine, where they were counted.
    """

    part_flow: PartFlow | None
    candidate: Candidate = NOBODY
    machines: int = 1
    phases: int | None = None
    law: VoltsLaw = STRAIGHT


class Option(ABC):
    """A kind of replacement: what it is, and the equations of its duty steps."""

    kind: OptionKind
    traits: Traits

    @abstractmethod
    def solve(self, found: FoundMachine, demands: tuple[Demand, ...], asked: Asked) -> tuple[SolvedStep, ...]:
        """Flow, pressure, speed, shaft power and input power at each demand.

        :param found: the machine, in SI. :param demands: shares of full flow, 0 to 1 and above. :param asked: what else the option is asked.

        A step that cannot be is absent, with the reason; nothing is raised. Source: named in each kind's workings, ``step_working``.
        """

    def motor(self, found: FoundMachine) -> TypicalMotor | None:
        """The motor whose efficiency its watts rest on; none where they rest on other losses."""
        return None

    def rating(self, found: FoundMachine, candidate: Candidate) -> Rating:
        """The rating of what is told a speed, where something is: an electronic motor's, if it is no other."""
        return electronic_rating(found, candidate)


class Columns(NamedTuple):
    """What solving gives, each of shape ``(scenarios, steps)``: flow, pressure, rpm, W at the shaft and at the line, A, setting."""

    flow: Array
    pressure: Array
    speed: Array
    shaft_power: Array
    input_power: Array
    current: Array | float = np.nan
    setting: Array | float = np.nan


NEEDED = 5
"""Columns without which a step is not solved."""
CURVE = 8
"""How many of a step's columns make the machine's curve and its system: those of ``FoundMachine.curve_inputs``."""


def curve_and_system(found: FoundMachine, *curve: Array) -> tuple[MachineCurve, SystemCurve]:
    """The machine's curve through the point found, and the system through the same point, for all scenarios.

    :param found: whose kind of wheel the curve is. :param curve: columns of shape ``(scenarios, 1)``: m³/s, Pa, W, place on the curve, Pa that stay at no
        flow, exponent, and how far pressure and power stray.

    Source: affinity laws, AMCA 201; the generic curves are our judgement.
    """
    flow, pressure, power, place, fixed, exponent, pressure_strays, power_strays = curve
    machine = MachineCurve(found.shape, flow, pressure, power, place, pressure_strays, power_strays)
    return machine, system_through(flow, pressure, fixed, exponent)


@dataclass(frozen=True)
class Saying:
    """How a family of steps is told: the way, what to say where there is no solution, and what its setting is."""

    how: How
    outside: str
    set_quantity: str = ""
    set_words: str = ""


def solve_steps(
    ids: tuple[str, ...], function: Callable[..., Columns], inputs: tuple[Estimate, ...], saying: Saying
) -> dict[str, SolvedStep]:
    """Solve all steps of an option in one vectorised call.

    :param function: takes the inputs as ``(scenarios, 1)`` and returns their columns.
    :param ids: of the steps, in order. :param inputs: what the columns rest on, each with its error sources. :param saying: how a step is told.

    What does not come out finite is absent. Source: JCGM 100 (GUM), 5, to first order.
    """
    count, blocks = len(ids), len(Columns._fields)

    def stacked(*columns: Array) -> Array:
        return np.hstack([np.broadcast_to(block, (columns[0].shape[0], count)) for block in function(*columns)])

    estimates = propagate(stacked, *inputs)
    steps = {}
    for index, name in enumerate(ids):
        solved = [estimates[block * count + index] for block in range(blocks)]
        if not all(_sound(estimate) for estimate in solved[:NEEDED]):
            steps[name] = SolvedStep(name, absent=Withheld(saying.outside))
            continue
        flow, pressure, speed, shaft, watts = solved[:NEEDED]
        current, setting = (estimate if _sound(estimate) else None for estimate in solved[NEEDED:])
        steps[name] = SolvedStep(
            name,
            flow,
            pressure,
            speed,
            shaft,
            watts,
            how=saying.how,
            current=current,
            setting=setting,
            set_quantity=saying.set_quantity,
            set_words=saying.set_words,
        )
    return steps


def absent_steps(demands: tuple[Demand, ...], why: Absent) -> tuple[SolvedStep, ...]:
    """Every step absent for the same reason."""
    return tuple(SolvedStep(demand.id, absent=why) for demand in demands)


def _sound(estimate: Estimate) -> bool:
    return math.isfinite(estimate.value) and math.isfinite(estimate.standard)
