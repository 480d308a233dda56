"""Duty: how does it run through the year?"""

from __future__ import annotations

from typing import Literal

from pydantic import Field, field_validator

from modest_rotor.core.coded import Coded
from modest_rotor.core.entry import Entry
from modest_rotor.core.estimate import COVERAGE_95, Estimate, exactly, measured
from modest_rotor.core.identify.meters import read_by_meter
from modest_rotor.core.phrase import Frozen
from modest_rotor.core.physics.fan import MachineType
from modest_rotor.core.say import Number, say, tell
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

    name: str = told("field-DutyStep-name", default="", longest=LONGEST_NAME)
    call: Mode | None = chosen("field-DutyStep-call")
    hours: Entry | None = asked("hours", "field-DutyStep-hours", "estimated")
    hours_from: HoursFrom | None = chosen("field-DutyStep-hours_from")
    hours_spread: Entry | None = asked("tolerance", "field-DutyStep-hours_spread", "estimated")
    cycles: Entry | None = asked("cycles_per_hour", "field-DutyStep-cycles", "measured")
    minutes: Entry | None = asked("cycle_minutes", "field-DutyStep-minutes", "measured")
    season: Entry | None = asked("season", "field-DutyStep-season", "estimated")
    wants: Wants | None = chosen("field-DutyStep-wants")
    flow_share: Entry | None = asked("flow_share", "field-DutyStep-flow_share", "estimated")
    design_share: Entry | None = asked("design_share", "field-DutyStep-design_share", "typed")
    airflow: Entry | None = asked("airflow", "field-DutyStep-airflow", "typed")
    water_flow: Entry | None = asked("water_flow", "field-DutyStep-water_flow", "typed")
    tap: SpeedTap | None = chosen("field-DutyStep-tap")

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
    part_flow: PartFlow | None = chosen("field-Duty-part_flow")
    static_pressure_set_point: Entry | None = asked(
        "static_pressure_set_point", "field-Duty-static_pressure_set_point", "estimated"
    )
    system_exponent: Entry | None = asked("system_exponent", "field-Duty-system_exponent", "estimated")
    static_lift: Entry | None = asked("static_lift", "field-Duty-static_lift", "estimated")
    machines: Entry | None = asked("machines", "field-Duty-machines", "measured")
    tariff: Literal["flat", "seasonal"] | None = chosen("field-Duty-tariff")
    energy_price: Entry | None = asked("energy_price", "field-Duty-energy_price", "typed")
    summer_price: Entry | None = asked("energy_price", "field-Duty-summer_price", "typed")
    summer_share: Entry | None = asked("share_of_hours", "field-Duty-summer_share", "estimated")
    starts: Entry | None = asked("starts", "field-Duty-starts", "estimated")
    starting_time: Entry | None = asked("starting_time", "field-Duty-starting_time", "estimated")
    inrush: Entry | None = asked("current", "field-Duty-inrush", "measured")
    circulation: Circulation | None = chosen("field-Duty-circulation")
    emission_rate: Entry | None = asked("emission_rate", "field-Duty-emission_rate", "typed")
    motor_place: MotorPlace | None = chosen("field-Duty-motor_place")
    refrigerated: Literal["yes", "no"] | None = chosen("field-Duty-refrigerated")
    heated_share: Entry | None = asked("share_of_hours", "field-Duty-heated_share", "estimated")
    heat_price: Entry | None = asked("energy_price", "field-Duty-heat_price", "typed")
    heat_efficiency: Entry | None = asked("efficiency", "field-Duty-heat_efficiency", "plate")
    cooled_share: Entry | None = asked("share_of_hours", "field-Duty-cooled_share", "estimated")
    cooling_performance: Entry | None = asked("cooling_performance", "field-Duty-cooling_performance", "estimated")
    remaining_life: Entry | None = asked("life", "field-Duty-remaining_life", "estimated")
    logged: str | None = told("field-Duty-logged", longest=400)
    currency: str | None = Field(
        default=None,
        title=say("stations-duty-duty-currency"),
        description=say("stations-duty-duty-currency-form"),
        pattern=r"^[A-Z]{3}$",
    )

    @field_validator("currency", mode="before")
    @classmethod
    def _in_capitals(cls, value: object) -> object:
        return value.strip().upper() if isinstance(value, str) else value

    def fixed_part(self, machine_type: MachineType | None) -> Entry | None:
        """The pressure that stays at no flow, of the kind that the wheel's system can have."""
        return self.static_lift if machine_type is MachineType.PUMP else self.static_pressure_set_point


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
    words = _refusal(duty, total.value) if any(hours for _, hours in timed) else say("term-waits-for-hours")
    starts = _starts(duty)
    if words:
        return DutyAnswer(
            hours=waiting(say("stations-duty-assess-duty-hours-year"), (words,)),
            off_hours=waiting(say("stations-duty-assess-duty-off"), (words,)),
            starts=starts,
        )
    ingredients = tuple(
        given("h", step.name or say("term-step"), "hours", hours, "estimated", str(step.hours_from or HoursFrom.TYPED))
        for step, hours in timed
        if hours
    )
    off = max(HOURS_IN_A_YEAR - total.value, 0.0)
    return DutyAnswer(
        hours=result(
            say("stations-duty-assess-duty-hours-year"),
            "hours",
            total,
            say("stations-duty-assess-duty-sum-steps"),
            ingredients,
            say("word-arithmetic"),
        ),
        off_hours=result(
            say("stations-duty-assess-duty-off"),
            "hours",
            off,
            say("stations-duty-assess-duty-less-hours"),
            ingredients,
            say("word-arithmetic"),
        ),
        starts=starts,
    )


def _refusal(duty: Duty, total: float) -> str | None:
    """Why the steps do not make a year, if they do not."""
    for step in duty.steps:
        if step.cycles and step.minutes and step.cycles.si * step.minutes.si > SECONDS_PER_HOUR:
            return say(
                "stations-duty-refusal-cycles-min",
                step=step.name or say("stations-duty-refusal-step"),
                cycles=Number(step.cycles.si, "g"),
                minutes=Number(step.minutes.si / 60, "g"),
            )
    if total > HOURS_IN_A_LEAP_YEAR:
        return say("stations-duty-refusal-steps-add", total=Number(total, ",.0f"))
    return None


def _starts(duty: Duty) -> Result:
    """Starts a year: typed or logged, and those of the cycles."""
    cycled, typed = cycled_starts(duty), duty.starts.si if duty.starts else 0.0
    if not cycled and not duty.starts:
        return waiting(say("stations-duty-starts-starts-year"), tell("stations-duty-starts-waits-starts"))
    ingredients = (given("n", say("stations-duty-starts-typed-logged"), "starts", typed, "estimated"), given("c", say("stations-duty-starts-cycles-season"), "starts", cycled, "worked-out"))  # fmt: skip
    return result(
        say("stations-duty-starts-starts-year"), "starts", cycled + typed, "n + c", ingredients, say("word-arithmetic")
    )
