"""A year of an option: what turns solved duty steps into energy, and what its starts and its heat add."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass

from modest_rotor.core.economy import energy_kwh, start_energy_kwh
from modest_rotor.core.entry import Entry
from modest_rotor.core.estimate import Estimate, exactly, measured
from modest_rotor.core.identify.candidate import at_rated
from modest_rotor.core.identify.fit import FittedMotor
from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.options.contract import OptionKind, SolvedStep
from modest_rotor.core.options.electronic import standby_power
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.physics.electronic import SOFT_START_S
from modest_rotor.core.stations.duty import HOURS_IN_A_YEAR, Duty, DutyAnswer, DutyStep, MotorPlace, step_hours
from modest_rotor.core.stations.options import OptionCosts
from modest_rotor.core.tables import find_row

FULL_STEP = DutyStep(id="full", name="full flow")
RUN_UP_SHARE = measured(0.9, **{"watts while running up": 0.1})
"""Mean input power from rest to full speed over that with the rotor locked. Our judgement, no source."""
SOFT_START_SHARE = measured(0.5, **{"watts of a soft start": 0.15})
"""The same over running input power, of a motor that electronics bring up gently. Our judgement, no source."""
STARTING_POWER_FACTOR = 0.8
"""Power factor of a motor on its start winding. Common practice, no source."""
ELECTRONIC_KINDS = (OptionKind.ELECTRONIC, OptionKind.DRIVE)


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

    @property
    def steps(self) -> tuple[DutyStep, ...]:
        """The duty steps, or full flow alone while none is typed."""
        return self.duty.steps or (FULL_STEP,)

    @property
    def total_hours(self) -> float | None:
        """Hours of all steps, when they make a possible year."""
        return self.answer.hours.figure.value if self.answer.hours.figure else None

    @property
    def starts(self) -> float:
        """Starts a year; none while the seconds of one are not said, so that no option is charged for them alone."""
        return self.duty.starts.si if self.duty.starts and self.duty.run_up else 0.0

    @property
    def least_words(self) -> str:
        """How the least flow of a protected duty is called."""
        return "the flow found" if self.least_flow_m3s is None else "the documented least"

    def cost(self, kind: OptionKind) -> Entry | None:
        """What an option costs fitted."""
        return {
            OptionKind.SAME_KIND: self.costs.same_kind_cost,
            OptionKind.ELECTRONIC: self.costs.electronic_cost,
            OptionKind.DRIVE: self.costs.drive_cost,
        }.get(kind)


def year_energy(kind: OptionKind, steps: tuple[SolvedStep, ...], found: FoundMachine, year: Year) -> Estimate | str:
    """Energy of a year at the line, kWh, with standby and starts; or the words that say what it waits for."""
    running = _running(steps, year, lambda step: step.input_power)
    if isinstance(running, str):
        return running
    return running + standby_kwh(kind, year) + starts_kwh(kind, steps, found, year)


def year_heat(kind: OptionKind, steps: tuple[SolvedStep, ...], found: FoundMachine, year: Year) -> Estimate | str:
    """Heat that an option gives to what it moves in a year, kWh: all its watts, or those at the shaft."""
    if year.duty.motor_place is not MotorPlace.OUTSIDE:
        return year_energy(kind, steps, found, year)
    return _running(steps, year, lambda step: step.shaft_power)


def standby_kwh(kind: OptionKind, year: Year) -> Estimate:
    """What electronics take while the machine is off, kWh a year."""
    if kind not in ELECTRONIC_KINDS or year.total_hours is None:
        return exactly(0.0)
    return standby_power() * (max(HOURS_IN_A_YEAR - year.total_hours, 0.0) / 1000)


def starts_kwh(kind: OptionKind, steps: tuple[SolvedStep, ...], found: FoundMachine, year: Year) -> Estimate:
    """What a year's starts take, kWh; nothing where starts were not said."""
    motor = found.own or found.new
    if not year.starts or motor is None or year.duty.run_up is None or not steps or steps[0].input_power is None:
        return exactly(0.0)
    if kind in ELECTRONIC_KINDS:
        return start_energy_kwh(steps[0].input_power * SOFT_START_SHARE, SOFT_START_S, year.starts)
    return start_energy_kwh(RUN_UP_SHARE * locked_input_w(motor), year.duty.run_up.si, year.starts)


def locked_input_w(motor: FittedMotor) -> float:
    """Input power of a motor with its rotor held, at rated volts, W.

    A motor with a start switch is not solved there: what its kind usually takes is, its amps on the plate times so many.
    """
    plate = motor.plate
    if plate.kind is not MotorKind.SINGLE_PHASE:
        return float(motor.motor.at_slip(at_rated(plate), 1.0).input_power_w)
    at = motor.motor.at_slip(at_rated(plate), float(motor.family.true_rated_slip(motor.numbers)))
    usual = float(find_row("motor_habits", motor=str(plate.kind))["locked_amps"])
    return usual * float(at.current_a) * (plate.rated_voltage_v or 0.0) * STARTING_POWER_FACTOR


def _running(
    steps: tuple[SolvedStep, ...], year: Year, power_of: Callable[[SolvedStep], Estimate | None]
) -> Estimate | str:
    if year.total_hours is None:
        return year.answer.hours.waits[0] if year.answer.hours.waits else "waits for hours"  # type: ignore[return-value]
    pairs = []
    for asked, step in zip(year.steps, steps, strict=True):
        hours = step_hours(asked)
        named = f"“{asked.name}”" if asked.name else "a step"
        if hours is None or asked.flow_share is None:
            return f"waits for {'hours' if hours is None else 'share of flow'} of {named}"
        power = power_of(step)
        if power is None:
            return step.note or f"waits for the watts of {named}"
        pairs.append((power, hours))
    return energy_kwh(tuple(pairs))
