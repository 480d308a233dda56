"""Duty: how does it run through the year?"""

from __future__ import annotations

from typing import Literal

from pydantic import Field, field_validator

from modest_rotor.core.coded import Coded
from modest_rotor.core.entry import Entry
from modest_rotor.core.estimate import COVERAGE_95, Estimate, exactly, measured
from modest_rotor.core.identify.meters import read_by_meter
from modest_rotor.core.phrase import Frozen
from modest_rotor.core.physics.fan import Wheel
from modest_rotor.core.stations.identification import Mode
from modest_rotor.core.stations.readings import SpeedTap
from modest_rotor.core.stations.sheet import LONGEST_NAME, Identified, Sheet, asked, chosen, told
from modest_rotor.core.working import Result, given, result, waiting

MOST_STEPS = 24
HOURS_IN_A_YEAR = 8760.0
HOURS_IN_A_LEAP_YEAR = 8784.0
HOURS_PER_DAY, SECONDS_PER_HOUR = 24.0, 3600.0
CYCLES_SPREAD = 0.15
"""Standard deviation of a year's hours from cycles that were counted for a while, as a share. Our judgement, no source."""


class Circulation(Coded):
    """How a fan runs between calls."""

    AUTOMATIC = "automatic"
    ALWAYS = "always"


class PartFlow(Coded):
    """How the machine of today meets a step that asks for less than full flow."""

    RUNS_FULL = "runs-full"
    TAPS = "taps"
    THROTTLE = "throttle"


class MotorPlace(Coded):
    """Where a motor's own heat goes."""

    IN_STREAM = "in-stream"
    OUTSIDE = "outside"


class Wants(Coded):
    """How a step says what flow it asks for."""

    SHARE = "share"
    DESIGN = "design"
    FLOW = "flow"
    TAP = "tap"
    AS_IT_RUNS = "as-it-runs"


class HoursFrom(Coded):
    """Where the hours of a step come from."""

    TYPED = "typed"
    THERMOSTAT = "thermostat"
    LOGGER = "logger"
    TEMPLATE = "template"


SPREAD_OF = {HoursFrom.TEMPLATE: 0.3}
"""± of hours at 95 % where nobody said it, as a share: a template is a guess. Our judgement, no source."""


class DutyStep(Identified):
    """Part of the year at one flow."""

    name: str = told("Step", "What the machine does in these hours.", default="", longest=LONGEST_NAME)
    call: Mode | None = chosen("Called by", "The call that energises this step.")
    hours: Entry | None = asked("hours", "Hours a year", "estimated", "All steps together at most 8,784.")
    hours_from: HoursFrom | None = chosen("Hours from", "Typed, a thermostat's cycles, a logger, or a template.")
    hours_spread: Entry | None = asked("tolerance", "Hours ±", "estimated", "At 95 %; a tenth where nothing is said.")
    cycles: Entry | None = asked("cycles_per_hour", "Cycles an hour", "measured", "Starts in an hour of the season.")
    minutes: Entry | None = asked("cycle_minutes", "Minutes a cycle", "measured", "Running time of one start.")
    season: Entry | None = asked("season", "Season", "estimated", "Days a year in which it cycles so.")
    wants: Wants | None = chosen("Flow said as", "A share of full flow where nothing is said.")
    flow_share: Entry | None = asked(
        "flow_share",
        "Share of full flow",
        "estimated",
        "Full flow is that of the machine put right, on its highest setting.",
    )
    design_share: Entry | None = asked(
        "design_share", "Share of the wanted flow", "typed", "Wanted flow as on Readings."
    )
    airflow: Entry | None = asked("airflow", "Airflow", "typed")
    water_flow: Entry | None = asked("water_flow", "Water flow", "typed")
    tap: SpeedTap | None = chosen("On its tap")

    @property
    def is_told(self) -> bool:
        """Whether the step says what flow it asks for."""
        return self.said_flow is not None

    @property
    def said_flow(self) -> Entry | SpeedTap | Wants | None:
        """What stands for its flow, by the way in which it is said."""
        return {
            None: self.flow_share,
            Wants.SHARE: self.flow_share,
            Wants.DESIGN: self.design_share,
            Wants.FLOW: self.airflow or self.water_flow,
            Wants.TAP: self.tap,
            Wants.AS_IT_RUNS: Wants.AS_IT_RUNS,
        }[self.wants]


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
    system_exponent: Entry | None = asked(
        "system_exponent",
        "Exponent of duct or pipe",
        "estimated",
        "Pressure against flow: near 1.9 ± 0.1 where nothing is said; 2 where dampers and fittings rule.",
    )
    static_lift: Entry | None = asked(
        "static_lift", "Static lift", "estimated", "Height the water is lifted; 0 in a closed circuit."
    )
    machines: Entry | None = asked(
        "machines", "Machines alike, side by side", "measured", "Readings are of one of them, all running."
    )
    tariff: Literal["flat", "seasonal"] | None = chosen("Tariff", "Flat where nothing is said.")
    energy_price: Entry | None = asked(
        "energy_price",
        "Energy price",
        "typed",
        "Per kWh, taxes as the customer pays them; of a seasonal one, in winter.",
    )
    summer_price: Entry | None = asked("energy_price", "Energy price, summer", "typed", "Per kWh.")
    summer_share: Entry | None = asked(
        "share_of_hours", "Running hours in summer", "estimated", "Share of the hours that fall under the summer price."
    )
    starts: Entry | None = asked(
        "starts", "Starts a year", "estimated", "Of switch or logger; a thermostat's cycles are added by themselves."
    )
    run_up: Entry | None = asked(
        "run_up", "Starting time", "estimated", "Seconds from rest to full speed, of the motor of today."
    )
    inrush: Entry | None = asked(
        "current", "Inrush amps", "measured", "Highest while it starts; the fitted motor's where nothing was read."
    )
    circulation: Circulation | None = chosen(
        "How does the fan run between calls?", "As the customer runs it now; the other is shown with its kWh."
    )
    emission_rate: Entry | None = asked(
        "emission_rate",
        "Emissions of the supply",
        "typed",
        "CO₂ equivalent of a kilowatt-hour, as the supplier states it.",
    )
    motor_place: MotorPlace | None = chosen(
        "Where does the motor stand?", "In the stream all its watts warm what it moves; outside it, those at the shaft."
    )
    refrigerated: Literal["yes", "no"] | None = chosen(
        "In a refrigerated room?", "There every watt saved is saved again in the compressor, all the hours it runs."
    )
    heated_share: Entry | None = asked(
        "share_of_hours", "Hours in which it is heated", "estimated", "Share of the hours it runs."
    )
    heat_price: Entry | None = asked("energy_price", "Price of heat or fuel", "typed", "Per kWh of heat, or of fuel.")
    heat_efficiency: Entry | None = asked(
        "efficiency", "Efficiency of the heater", "plate", "Where the price is that of fuel; empty for heat."
    )
    cooled_share: Entry | None = asked(
        "share_of_hours", "Hours in which it is cooled", "estimated", "Share of the hours it runs."
    )
    cooling_performance: Entry | None = asked(
        "cooling_performance",
        "Cold per electricity",
        "estimated",
        "COP of the cooling; 3 is taken where nothing is said.",
    )
    remaining_life: Entry | None = asked(
        "life", "Years left in the machine", "estimated", "Of the blower, fan or pump: nothing is saved after it."
    )
    logged: str | None = told("What the logger said", longest=400)
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
    starts: Result


def step_hours(step: DutyStep) -> Estimate | None:
    """Hours of a step: as typed, or else from a thermostat's cycles.

    A guess leans the same way all year, so what is said to be ± x is one error source for the step.
    """
    spread = step.hours_spread.si if step.hours_spread else SPREAD_OF.get(step.hours_from) if step.hours_from else None
    if step.hours is not None:
        if spread is None:
            return read_by_meter(step.hours, "hours", f"hours of {step.id}")
        return measured(step.hours.si, **{f"hours of {step.name or step.id}": spread * step.hours.si / COVERAGE_95})
    hours = cycled_hours(step)
    if hours is None:
        return None
    share = CYCLES_SPREAD if spread is None else spread / COVERAGE_95
    return measured(hours, **{f"cycles of {step.name or step.id}": share * hours})


def cycled_hours(step: DutyStep) -> float | None:
    """Hours a year of a thermostat's cycles: cycles an hour × minutes a cycle × the hours of the season. Source: definition."""
    if not (step.cycles and step.minutes and step.season):
        return None
    running = step.cycles.si * step.minutes.si / SECONDS_PER_HOUR
    return running * HOURS_PER_DAY * step.season.si


def cycled_starts(duty: Duty) -> float:
    """Starts a year that the thermostats' cycles make. Source: definition: one start to a cycle."""
    return sum(step.cycles.si * HOURS_PER_DAY * step.season.si for step in duty.steps if step.cycles and step.season)


def assess_duty(duty: Duty) -> DutyAnswer:
    """Hours in all, and off-hours, or what they wait for."""
    timed = [(step, step_hours(step)) for step in duty.steps]
    total = exactly(0.0)
    for _, hours in timed:
        total = total + (hours or 0.0)
    words = _refusal(duty, total.value) if any(hours for _, hours in timed) else "waits for hours"
    starts = _starts(duty)
    if words:
        return DutyAnswer(hours=waiting("Hours a year", words), off_hours=waiting("Off", words), starts=starts)
    ingredients = tuple(
        given("h", step.name or "step", "hours", hours, "estimated", str(step.hours_from or HoursFrom.TYPED))
        for step, hours in timed
        if hours
    )
    off = max(HOURS_IN_A_YEAR - total.value, 0.0)
    return DutyAnswer(
        hours=result("Hours a year", "hours", total, "sum of the steps", ingredients, "Arithmetic."),
        off_hours=result("Off", "hours", off, "8,760 less the hours above", ingredients, "Arithmetic."),
        starts=starts,
    )


def _refusal(duty: Duty, total: float) -> str | None:
    """Why the steps do not make a year, if they do not."""
    for step in duty.steps:
        if step.cycles and step.minutes and step.cycles.si * step.minutes.si > SECONDS_PER_HOUR:
            return (
                f"{step.name or 'A step'}: {step.cycles.si:g} cycles of {step.minutes.si / 60:g} min are more than an hour in an"
                " hour. Shorten one; both are kept."
            )
    if total > HOURS_IN_A_LEAP_YEAR:
        return f"The steps add up to {total:,.0f} h; a year has at most 8,784. Shorten a step."
    return None


def _starts(duty: Duty) -> Result:
    """Starts a year: typed or logged, and those of the cycles."""
    cycled, typed = cycled_starts(duty), duty.starts.si if duty.starts else 0.0
    if not cycled and not duty.starts:
        return waiting("Starts a year", "waits for starts or cycles")
    ingredients = (given("n", "typed or logged", "starts", typed, "estimated"), given("c", "cycles × season", "starts", cycled, "worked-out"))  # fmt: skip
    return result("Starts a year", "starts", cycled + typed, "n + c", ingredients, "Arithmetic.")
