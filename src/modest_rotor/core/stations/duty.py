"""Duty: how does it run through the year?"""

from __future__ import annotations

from enum import StrEnum

from pydantic import Field, field_validator

from modest_rotor.core.entry import Entry
from modest_rotor.core.estimate import Estimate, exactly
from modest_rotor.core.identify.meters import read_by_meter
from modest_rotor.core.phrase import Frozen
from modest_rotor.core.physics.fan import Wheel
from modest_rotor.core.stations.sheet import LONGEST_NAME, Identified, Sheet, asked, chosen, told
from modest_rotor.core.working import Result, given, result, waiting

MOST_STEPS = 24
HOURS_IN_A_YEAR = 8760.0
HOURS_IN_A_LEAP_YEAR = 8784.0


class PartFlow(StrEnum):
    """How the machine of today meets a step that asks for less than full flow."""

    RUNS_FULL = "it runs full all the same"
    TAPS = "by a lower tap or regulator step"
    THROTTLE = "by a damper or valve"


class MotorPlace(StrEnum):
    """Where a motor's own heat goes."""

    IN_STREAM = "in the air or water it moves"
    OUTSIDE = "outside it"


class DutyStep(Identified):
    """Part of the year at one flow."""

    name: str = told("Step", "What the machine does in these hours.", default="", longest=LONGEST_NAME)
    hours: Entry | None = asked("hours", "Hours a year", "estimated", "All steps together at most 8,784.")
    flow_share: Entry | None = asked(
        "flow_share", "Share of full flow", "estimated", "Full flow is the flow as found on the highest setting."
    )


class Duty(Sheet):
    """The year of the machine and what its energy costs."""

    steps: tuple[DutyStep, ...] = Field(default=(), max_length=MOST_STEPS)
    part_flow: PartFlow | None = chosen(
        "How does it meet a part step today?", "Decides what the machine of today takes there."
    )
    held_pressure: Entry | None = asked(
        "held_pressure",
        "Duct pressure that is held",
        "estimated",
        "By a controller, whatever the flow; 0 for an ordinary duct.",
    )
    static_lift: Entry | None = asked(
        "static_lift", "Static lift", "estimated", "Height the water is lifted; 0 in a closed circuit."
    )
    energy_price: Entry | None = asked(
        "energy_price", "Energy price", "typed", "Per kWh, taxes as the customer pays them."
    )
    starts: Entry | None = asked(
        "starts", "Starts a year", "estimated", "Cycles of a thermostat or switch; counted once their seconds are said."
    )
    run_up: Entry | None = asked("run_up", "Seconds to full speed", "estimated", "From rest, of the motor of today.")
    emission_rate: Entry | None = asked(
        "emission_rate",
        "Emissions of the supply",
        "typed",
        "CO₂ equivalent of a kilowatt-hour, as the supplier states it.",
    )
    motor_place: MotorPlace | None = chosen(
        "Where does the motor stand?", "In the stream all its watts warm what it moves; outside it, those at the shaft."
    )
    heated_share: Entry | None = asked(
        "share_of_hours", "Hours in which it is heated", "estimated", "Share of the hours it runs."
    )
    heat_price: Entry | None = asked("energy_price", "Price of heat", "typed", "Per kWh of useful heat.")
    cooled_share: Entry | None = asked(
        "share_of_hours", "Hours in which it is cooled", "estimated", "Share of the hours it runs."
    )
    cooling_performance: Entry | None = asked(
        "cooling_performance",
        "Cold per electricity",
        "estimated",
        "COP of the cooling; 3 is taken where nothing is said.",
    )
    currency: str | None = Field(
        default=None, title="Currency", description="Three letters, for example USD or EUR.", pattern=r"^[A-Z]{3}$"
    )

    @field_validator("currency", mode="before")
    @classmethod
    def _in_capitals(cls, value: object) -> object:
        return value.strip().upper() if isinstance(value, str) else value

    def fixed_part(self, wheel: Wheel | None) -> Entry | None:
        """The pressure that stays at no flow, of the kind that the wheel's system can have."""
        return self.static_lift if wheel is Wheel.PUMP else self.held_pressure


class DutyAnswer(Frozen):
    """What the year adds up to."""

    hours: Result
    off_hours: Result


def step_hours(step: DutyStep) -> Estimate | None:
    """Hours of a step; all steps lean the same way when the year was guessed, so they share one error source."""
    return read_by_meter(step.hours, "hours", f"hours of {step.id}") if step.hours else None


def assess_duty(duty: Duty) -> DutyAnswer:
    """Hours in all, and off-hours, or what they wait for."""
    timed = [(step, step_hours(step)) for step in duty.steps]
    total = exactly(0.0)
    for _, hours in timed:
        total = total + (hours or 0.0)
    if not any(hours for _, hours in timed):
        return DutyAnswer(hours=waiting("Hours a year", "waits for hours"), off_hours=waiting("Off", "waits for hours"))
    if total.value > HOURS_IN_A_LEAP_YEAR:
        words = f"The steps add up to {total.value:,.0f} h; a year has at most 8,784. Shorten a step."
        return DutyAnswer(hours=waiting("Hours a year", words), off_hours=waiting("Off", words))
    ingredients = tuple(
        given("h", step.name or "step", "hours", hours, "estimated", "typed") for step, hours in timed if hours
    )
    off = max(HOURS_IN_A_YEAR - total.value, 0.0)
    return DutyAnswer(
        hours=result("Hours a year", "hours", total, "sum of the steps", ingredients, "Arithmetic."),
        off_hours=result("Off", "hours", off, "8,760 less the hours above", ingredients, "Arithmetic."),
    )
