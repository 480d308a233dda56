"""The wheel itself slowed for good: a belt re-sheaved, or a pump's impeller trimmed. The motor stays."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import replace

import numpy as np

from modest_rotor.core.estimate import Array
from modest_rotor.core.identify.efficiency import TypicalMotor
from modest_rotor.core.identify.fit import FittedMotor
from modest_rotor.core.options.contract import (
    CURVE,
    NEAR_FULL,
    Asked,
    Columns,
    Demand,
    How,
    Option,
    OptionKind,
    Saying,
    SolvedStep,
    absent_steps,
    curve_and_system,
    solve_steps,
)
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.solved import RAD_PER_RPM, run_on, stacked
from modest_rotor.core.options.traits import Belongs, Holds, Traits
from modest_rotor.core.outcome import Waiting, Withheld
from modest_rotor.core.physics.fan import MachineType
from modest_rotor.core.physics.load import Load, flow_at_speed, speed_ratio_for_flow
from modest_rotor.core.physics.supply import Supply
from modest_rotor.core.say import Number, joined, say
from modest_rotor.core.stations.duty import PartFlow

WAITS = Waiting(say("term-waits-for-a-fitted-motor"))
NO_POINT = say("wheel-speed-no-point")
MOST_TRIM = 0.75
"""Least diameter over today's to which an impeller is trimmed before its efficiency falls much. Common practice, no source."""
JUST = say("wheel-speed-just")
FIXED = CURVE + 3


class WheelSpeed(Option):
    """The machine's wheel at another speed of its own, the motor as it is: what re-sheaving and trimming share."""

    traits: Traits

    def motor(self, found: FoundMachine) -> TypicalMotor | None:
        """The motor that is in the machine."""
        return found.motor

    def slowed(self, found: FoundMachine, demands: tuple[Demand, ...], asked: Asked, typed: float | None, words: str) -> tuple[SolvedStep, ...]:  # fmt: skip
        """Every step on the slowed wheel, at the flow that it then gives, or throttled to its share.

        :param typed: wheel's speed or diameter over today's; just enough for the hardest step where ``None``.

        The motor's own shift of speed comes from its fit. A trimmed impeller is taken as one that is slowed: flow with its
        diameter, head with its square, power with its cube, in the casing it is in. Source: affinity laws; ANSI/HI and common
        practice for trims of a few per cent.
        """
        own = found.own
        if own is None:
            return absent_steps(demands, WAITS)
        ratio = typed or _just_enough(found, max(demand.wanted for demand in demands))
        if ratio is None:
            return absent_steps(demands, Withheld(NO_POINT))
        throttled = asked.part_flow is PartFlow.THROTTLE
        work = _work(found, own, ratio, np.array([demand.share for demand in demands]), throttled)
        inputs = (*found.curve_inputs, found.speed, found.input_power, found.volts, *own.estimates)
        saying = Saying(How.OTHER_WHEEL_SPEED, NO_POINT)
        solved = solve_steps(tuple(demand.id for demand in demands), work, inputs, saying)
        told = say(
            "wheel-speed-slowed",
            words=words,
            ratio=Number(100 * ratio, ".0f"),
            typed="" if typed else joined(", ", ("", JUST)),
        )
        return tuple(
            replace(_told(solved[demand.id], demand, throttled, told), wheel_ratio=ratio) for demand in demands
        )


def _work(
    found: FoundMachine, own: FittedMotor, ratio: float, shares: Array, throttled: bool
) -> Callable[..., Columns]:
    def work(*columns: Array) -> Columns:
        curve, (speed, watts, volts) = columns[:CURVE], columns[CURVE:FIXED]
        machine, system = curve_and_system(found, *curve)
        load = Load(machine, speed, system)
        motor, supply = stacked(own.family, columns[FIXED:]), Supply(volts, own.plate.frequency_hz or 0.0)

        def direct(rpm: Array) -> Array:
            return np.asarray(load.torque_at(rpm))

        # The wheel turns `ratio` times as fast as before for a speed of the motor, so its torque reaches the motor so much less.
        was = run_on(own.family, motor, supply, direct, speed.shape)
        now = run_on(own.family, motor, supply, lambda rpm: ratio * direct(ratio * rpm), speed.shape)
        wheel = ratio * speed * now.speed_rpm / was.speed_rpm
        full = load.at_motor_speed(np.where(np.isnan(wheel), speed, wheel)).flow
        wanted = curve[0] * shares
        part = np.minimum(full, wanted) if throttled else full + 0 * wanted
        at_full = now.shaft_power_w / machine.power_at(full, wheel / speed)

        def lighter(rpm: Array) -> Array:
            """Torque at the motor with its wheel throttled: the wheel follows the motor."""
            power = machine.power_at(part, wheel / speed * rpm / now.speed_rpm)
            return np.asarray(power * at_full / (rpm * RAD_PER_RPM))

        at = run_on(own.family, motor, supply, lighter, part.shape, now)
        turns = wheel / speed * at.speed_rpm / now.speed_rpm
        rpm, taken = speed * at.speed_rpm / was.speed_rpm, watts * at.input_power_w / was.input_power_w
        return Columns(part, machine.pressure_at(part, turns), rpm, machine.power_at(part, turns), taken)

    return work


class ReSheaved(WheelSpeed):
    """A belt-driven fan with other sheaves."""

    kind = OptionKind.RESHEAVE
    traits = Traits(
        say("wheel-speed-re-sheaved-traits-belt-re"), "copper-ring", belongs=Belongs.FANS, holds=Holds.MOTOR, long_lived=True, wears=say("wheel-speed-re-sheaved-traits-belts-now"),
        rewires=False, steps=frozenset(("sheave",)), asks=("speed_share",),
    )  # fmt: skip

    def solve(self, found: FoundMachine, demands: tuple[Demand, ...], asked: Asked) -> tuple[SolvedStep, ...]:
        """Every step with the wheel at its new speed."""
        typed = asked.candidate.speed_share
        return self.slowed(found, demands, asked, typed.si if typed else None, say("wheel-speed-solve-wheel"))


class Trimmed(WheelSpeed):
    """A pump with its impeller turned down."""

    kind = OptionKind.TRIM
    traits = Traits(
        say("wheel-speed-trimmed-traits-impeller-trimmed"), "copper-ring", belongs=Belongs.PUMPS, holds=Holds.MOTOR, long_lived=True,
        wears=say("wheel-speed-trimmed-traits-nothing-more"), rewires=False, steps=frozenset(("trim",)),
        asks=("diameter_share",),
    )  # fmt: skip

    def solve(self, found: FoundMachine, demands: tuple[Demand, ...], asked: Asked) -> tuple[SolvedStep, ...]:
        """Every step with the smaller impeller."""
        if found.machine_type is not MachineType.PUMP:
            return absent_steps(demands, Withheld(say("wheel-speed-solve-only-pump")))
        typed = asked.candidate.diameter_share
        steps = self.slowed(found, demands, asked, typed.si if typed else None, say("wheel-speed-solve-impeller"))
        hardest = max(demand.wanted for demand in demands)
        ratio = typed.si if typed else _just_enough(found, hardest)
        little = ratio is not None and ratio < MOST_TRIM
        note = say("wheel-speed-solve-trimmed-below", most_trim=Number(100 * MOST_TRIM, ".0f")) if little else ""
        return tuple(step.noted(note) for step in steps)


def _just_enough(found: FoundMachine, share: float) -> float | None:
    if share >= NEAR_FULL:
        return 1.0
    curve = [np.array(estimate.value) for estimate in found.curve_inputs]
    machine, system = curve_and_system(found, *curve)
    ratio = float(speed_ratio_for_flow(machine, system, found.flow.value * share))
    return ratio if np.isfinite(ratio) and flow_at_speed(machine, system, ratio) > 0 else None


def _told(step: SolvedStep, demand: Demand, throttled: bool, told: str) -> SolvedStep:
    full = "" if throttled or demand.share >= NEAR_FULL else say("wheel-speed-told")
    return step.noted(told, full) if step.flow else step
