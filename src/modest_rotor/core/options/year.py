"""A year of an option: what turns solved duty steps into energy, and what its starts and its heat add."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from functools import cached_property

from modest_rotor.core.economy import energy_kwh, start_energy_kwh
from modest_rotor.core.estimate import Estimate, exactly, measured
from modest_rotor.core.identify.candidate import at_rated
from modest_rotor.core.identify.fit import FittedMotor
from modest_rotor.core.identify.meters import read_by_meter
from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.options.contract import Option, SolvedStep
from modest_rotor.core.options.electronic import standby_power
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.registry import traits_of
from modest_rotor.core.outcome import Absent, Waiting
from modest_rotor.core.physics.electronic import SOFT_START_S
from modest_rotor.core.say import say
from modest_rotor.core.stations.duty import (
    HOURS_IN_A_YEAR,
    Circulation,
    Duty,
    DutyAnswer,
    DutyStep,
    MotorPlace,
    cycled_starts,
    step_hours,
)
from modest_rotor.core.stations.options import Candidate, OptionCosts
from modest_rotor.core.tables import find_row

FULL_STEP = DutyStep(id="full", name=say("options-year-full-step"))
STARTING_SHARE = measured(0.9, **{"watts while running up": 0.1})
"""Mean input power from rest to full speed over that with the rotor locked. Our judgement, no source."""
SOFT_START_SHARE = measured(0.5, **{"watts of a soft start": 0.15})
"""The same over running input power, of a motor that electronics bring up gently. Our judgement, no source."""
STARTING_POWER_FACTOR = 0.8
"""Power factor of a motor on its start winding. Common practice, no source."""


@dataclass(frozen=True)
class Year:
    """What turns watts into money: the steps, the price, the costs, and what protects the flow."""

    duty: Duty
    answer: DutyAnswer
    costs: OptionCosts
    currency: str | None
    least_flow_m3s: float | None
    protected: bool
    dead: bool = False
    wanted_flow_m3s: float | None = None

    @property
    def steps(self) -> tuple[DutyStep, ...]:
        """The duty steps, or full flow alone while none is typed."""
        return self.duty.steps or (FULL_STEP,)

    @property
    def total_hours(self) -> float | None:
        """Hours of all steps, when they make a possible year."""
        return self.answer.hours.figure.value if self.answer.hours.figure else None

    @cached_property
    def hours_of_steps(self) -> tuple[Estimate | None, ...]:
        """Hours of each step with their uncertainty, read once for all options."""
        return tuple(step_hours(step) for step in self.steps)

    @cached_property
    def hours(self) -> Estimate | None:
        """Hours of all steps with their uncertainty."""
        if self.total_hours is None:
            return None
        total = exactly(0.0)
        for hours in self.hours_of_steps:
            total = total + (hours or 0.0)
        return total

    @property
    def machines(self) -> int:
        """Machines alike, side by side; the readings are of one of them."""
        return int(self.duty.machines.si) if self.duty.machines else 1

    @property
    def starts(self) -> float:
        """Starts a year; none while the seconds of one are not said, so that no option is charged for them alone."""
        typed = self.duty.starts.si if self.duty.starts else 0.0
        return typed + cycled_starts(self.duty) if self.duty.starting_time else 0.0

    @property
    def runs_always(self) -> bool:
        """Whether the fan runs between calls as well."""
        return self.duty.circulation is Circulation.ALWAYS

    @property
    def price(self) -> float | None:
        """What a kilowatt-hour costs over the hours that it runs; nothing while a price is missing."""
        duty = self.duty
        if duty.energy_price is None:
            return None
        if duty.tariff != "seasonal":
            return duty.energy_price.si
        if duty.summer_price is None or duty.summer_share is None:
            return None
        return duty.summer_share.si * duty.summer_price.si + (1 - duty.summer_share.si) * duty.energy_price.si

    @property
    def price_waits(self) -> Waiting:
        """What the price waits for."""
        if self.duty.tariff == "seasonal" and self.duty.energy_price is not None:
            return Waiting(say("options-year-price-waits-waits-summer"))
        return Waiting(say("term-waits-for-an-energy-price"))

    @property
    def heat_price(self) -> float | None:
        """What a kilowatt-hour of useful heat costs; of fuel, over the heater's efficiency."""
        price, efficiency = self.duty.heat_price, self.duty.heat_efficiency
        if price is None:
            return None
        return price.si / efficiency.si if efficiency and efficiency.si > 0 else price.si

    @property
    def least_words(self) -> str:
        """How the least flow of a protected duty is called."""
        return (
            say("options-year-least-words-flow-found")
            if self.least_flow_m3s is None
            else say("options-year-least-words-documented-least")
        )

    def horizon(self, candidate: Candidate) -> float:
        """Years over which a saving is counted: the option's life, and no longer than the machine it drives.

        Source: common practice; usual lives as ``USUAL_LIFE``.
        """
        lives = [candidate.life, candidate.product.life if candidate.product else None]
        own = next((life.si for life in lives if life), USUAL_LIFE[traits_of(candidate.kind).long_lived])
        return min(own, self.duty.remaining_life.si) if self.duty.remaining_life else own


USUAL_LIFE = {False: 12.0, True: 15.0}
"""Years that a motor or a drive lasts where nothing is said. Common practice, no source."""


def cost_of(candidate: Candidate) -> Estimate | None:
    """What an option costs fitted: price and labour less rebate, money; nothing while no price is known.

    Its error is its own: two options are quoted apart, so nothing of it cancels when their costs are held against each other.

    Source: definition.
    """
    product = candidate.product.price if candidate.product else None
    price = candidate.price or product
    if price is None:
        return None
    cost = read_by_meter(price, "cost", "price")
    if candidate.labour:
        cost = cost + read_by_meter(candidate.labour, "cost", "labour")
    own = measured(cost.value, **{f"cost of {candidate.id}": cost.standard})
    return own - candidate.rebate.si if candidate.rebate else own


@dataclass(frozen=True)
class Solved:
    """One option with its steps: what the year is reckoned from."""

    option: Option
    candidate: Candidate
    steps: tuple[SolvedStep, ...]


def year_energy(solved: Solved, found: FoundMachine, year: Year) -> Estimate | Absent:
    """Energy of a year at the line, kWh, with standby and starts; or the words that say what it waits for.

    :param solved: its steps in W. :param found: the machine. :param year: hours, starts, machines side by side. Source: definition, Σ W h.
    """
    running = _running(solved.steps, year, lambda step: step.input_power)
    if isinstance(running, Absent):
        return running
    one = running + between_kwh(solved, found, year, always_on=year.runs_always)
    return one * float(year.machines)


def year_heat(solved: Solved, energy: Estimate | Absent, year: Year) -> Estimate | Absent:
    """Heat that an option gives to what it moves in a year, kWh: all its energy, or what goes through the shaft.

    :param solved: its shaft powers, W. :param energy: kWh at the line. :param year: where the motor stands. Source: conservation of energy.
    """
    if year.duty.motor_place is not MotorPlace.OUTSIDE:
        return energy
    heat = _running(solved.steps, year, lambda step: step.shaft_power)
    return heat if isinstance(heat, Absent) else heat * float(year.machines)


def standby_of(solved: Solved, found: FoundMachine) -> Estimate:
    """What an option's electronics take while it stands, W.

    :param solved: the option. :param found: the machine. Source: its rating, :func:`standby_power`.
    """
    if not solved.option.traits.electronics:
        return exactly(0.0)
    return standby_power(solved.option.rating(found, solved.candidate))


def standby_kwh(solved: Solved, found: FoundMachine, year: Year) -> Estimate:
    """What electronics take while the machine is off, kWh a year.

    :param solved: the option. :param found: the machine. :param year: its hours; none where they do not make a year. Source: definition.
    """
    if not solved.option.traits.electronics or year.total_hours is None:
        return exactly(0.0)
    return standby_of(solved, found) * (max(HOURS_IN_A_YEAR - year.total_hours, 0.0) / 1000)


def starts_kwh(solved: Solved, found: FoundMachine, year: Year) -> Estimate:
    """What a year's starts take, kWh; nothing where starts were not said.

    :param solved: whose first step is run up to, W. :param found: the machine. :param year: starts and seconds of one, s. Source: definition; shares of the
        power while it runs up are our judgement.
    """
    steps = solved.steps
    if not year.starts or year.duty.starting_time is None or not steps or steps[0].input_power is None:
        return exactly(0.0)
    if solved.option.traits.electronics:
        return start_energy_kwh(steps[0].input_power * SOFT_START_SHARE, SOFT_START_S, year.starts)
    watts = inrush_w(found, year)
    if watts is None:
        return exactly(0.0)
    return start_energy_kwh(STARTING_SHARE * watts, year.duty.starting_time.si, year.starts)


def inrush_w(found: FoundMachine, year: Year) -> float | None:
    """Input power while the motor of today runs up: from inrush amps where they were read, else from its fit, W.

    :param found: V and motor. :param year: inrush amps, A. Source: definition with a usual starting power factor, common practice.
    """
    volts = found.volts.value
    if year.duty.inrush and volts:
        phases = 3**0.5 if found.plate.kind is MotorKind.THREE_PHASE else 1.0
        return year.duty.inrush.si * volts * phases * STARTING_POWER_FACTOR
    motor = found.own or found.new
    return locked_input_w(motor) if motor else None


def locked_input_w(motor: FittedMotor) -> float:
    """Input power of a motor with its rotor held, at rated volts, W.

    A motor with a start switch is not solved there: what its kind usually takes is, its amps on the plate times so many.

    :param motor: fitted. Source: its equivalent circuit at slip 1; else table motor_habits, common practice.
    """
    plate = motor.plate
    if plate.kind is not MotorKind.SINGLE_PHASE:
        return float(motor.motor.at_slip(at_rated(plate), 1.0).input_power_w)
    at = motor.motor.at_slip(at_rated(plate), float(motor.family.true_rated_slip(motor.numbers)))
    usual = float(find_row("motor_habits", motor=str(plate.kind))["locked_amps"])
    return usual * float(at.current_a) * (plate.rated_voltage_v or 0.0) * STARTING_POWER_FACTOR


def between_kwh(solved: Solved, found: FoundMachine, year: Year, always_on: bool) -> Estimate:
    """What one machine takes beside its steps, kWh a year: standby and starts, or its lowest step all the hours between calls.

    :param always_on: whether the fan runs between calls; it does not start then. A machine that cannot slow runs on as it is.

    :param solved: the option, W at each step. Source: definition, W h ÷ 1000.
    """
    if not always_on:
        return standby_kwh(solved, found, year) + starts_kwh(solved, found, year)
    known = [step for step in solved.steps if step.input_power and step.flow]
    lowest = min(known, key=lambda step: step.flow.value if step.flow else 0.0, default=None)
    if lowest is None or lowest.input_power is None or year.total_hours is None:
        return exactly(0.0)
    return lowest.input_power * (max(HOURS_IN_A_YEAR - year.total_hours, 0.0) / 1000)


def otherwise_kwh(energy: Estimate, solved: Solved, found: FoundMachine, year: Year) -> Estimate | Absent:
    """The year with the fan run the other way between calls than Duty says, kWh.

    :param energy: of the year as Duty says, kWh. :param solved: the option. :param found: the machine. :param year: as :func:`year_energy`. Source: definition.
    """
    if year.total_hours is None:
        return Waiting(say("term-waits-for-hours"))
    now, other = (between_kwh(solved, found, year, always) for always in (year.runs_always, not year.runs_always))
    return energy + (other - now) * float(year.machines)


def _running(
    steps: tuple[SolvedStep, ...], year: Year, power_of: Callable[[SolvedStep], Estimate | None]
) -> Estimate | Absent:
    if year.total_hours is None:
        return year.answer.hours.absent or Waiting(say("term-waits-for-hours"))
    pairs = []
    for asked, hours, step in zip(year.steps, year.hours_of_steps, steps, strict=True):
        named = f"“{asked.name}”" if asked.name else say("term-a-step")
        if hours is None:
            return Waiting(say("options-year-running-waits-hours-2", named=named))
        power = power_of(step)
        if power is None:
            return step.absent or Waiting(say("options-year-running-waits-watts", named=named))
        pairs.append((power, hours))
    return energy_kwh(tuple(pairs))
