"""The contract of a kind of replacement: demands in, solved duty steps out; and what every kind shares."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from enum import StrEnum
from typing import Protocol

import numpy as np

from modest_rotor.core.estimate import Array, Estimate, propagate
from modest_rotor.core.identify.efficiency import TypicalMotor
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.physics.fan import MachineCurve
from modest_rotor.core.physics.system import SystemCurve, system_through
from modest_rotor.core.stations.duty import PartFlow

NEAR_FULL = 0.995
"""A share of full flow from which on a step counts as full."""


class OptionKind(StrEnum):
    """The kinds of option."""

    KEEP = "keep"
    SAME_KIND = "same kind"
    ELECTRONIC = "electronic"
    DRIVE = "drive"


class How(StrEnum):
    """The ways in which a duty step is solved; each has its own formulas."""

    AS_FOUND = "as found"
    THROTTLED = "throttled"
    ON_TAP = "on a tap"
    SLIP_LINE = "on the slip line"
    AS_TODAY = "as today"
    COMMANDED = "commanded"
    SOLVED = "motor solved on its load"
    SOLVED_THROTTLED = "motor solved, throttled"
    SOLVED_TAP = "motor solved on a tap"
    ON_DRIVE = "on a drive"


@dataclass(frozen=True)
class Demand:
    """What a duty step asks for.

    :param share: demanded flow as a share of full flow as found.
    :param floor: least share that may be proposed here (a protected duty); zero where nothing protects it.
    """

    id: str
    share: float
    floor: float = 0.0


@dataclass(frozen=True)
class SolvedStep:
    """One duty step of one option; either all five estimates, or the words that say what it waits for.

    Flow and pressure are in m³/s and Pa, or relative as on the machine as found.
    """

    id: str
    flow: Estimate | None = None
    pressure: Estimate | None = None
    speed: Estimate | None = None
    shaft_power: Estimate | None = None
    input_power: Estimate | None = None
    note: str = ""
    how: How = How.AS_FOUND


class Option(Protocol):
    """A kind of replacement."""

    kind: OptionKind
    title: str
    series: str

    def solve(
        self, found: FoundMachine, demands: tuple[Demand, ...], part_flow: PartFlow | None
    ) -> tuple[SolvedStep, ...]:
        """Flow, pressure, speed, shaft power and input power at each demand."""
        ...

    def motor(self, found: FoundMachine) -> TypicalMotor | None:
        """The motor whose efficiency its watts rest on; none where they rest on other losses."""
        ...


CURVE = 5
"""How many of a step's columns make the machine's curve and its system: those of ``FoundMachine.curve_inputs``."""


def curve_and_system(found: FoundMachine, *curve: Array) -> tuple[MachineCurve, SystemCurve]:
    """The machine's curve through the point found, and the system through the same point, for all scenarios."""
    flow, pressure, power, place, fixed = curve
    return MachineCurve(found.shape, flow, pressure, power, place), system_through(flow, pressure, fixed)


def solve_steps(
    ids: tuple[str, ...],
    function: Callable[..., tuple[Array, Array, Array, Array, Array]],
    inputs: tuple[Estimate, ...],
    how: How,
    outside: str,
) -> dict[str, SolvedStep]:
    """Solve all steps of an option in one vectorised call.

    :param function: takes the inputs as ``(scenarios, 1)`` and returns flow, pressure, speed in rpm, shaft power and
        input power in W, each ``(scenarios, steps)``.
    :param how: the way in which they are solved.
    :param outside: what to say of a step that has no solution.
    """
    count = len(ids)

    def stacked(*columns: Array) -> Array:
        return np.hstack([np.broadcast_to(block, (columns[0].shape[0], count)) for block in function(*columns)])

    estimates = propagate(stacked, *inputs)
    steps = {}
    for index, name in enumerate(ids):
        flow, pressure, speed, shaft, watts = (estimates[block * count + index] for block in range(5))
        sound = all(
            np.isfinite([estimate.value, estimate.standard]).all() for estimate in (flow, pressure, speed, shaft, watts)
        )
        solved = SolvedStep(name, flow, pressure, speed, shaft, watts, how=how)
        steps[name] = solved if sound else SolvedStep(name, note=outside)
    return steps
