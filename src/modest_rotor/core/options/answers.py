"""What is told of the options: steps, checks, year, money, and what moves the answer."""

from __future__ import annotations

from pydantic import Field

from modest_rotor.core.options.checks.place import FitCheck, Fits
from modest_rotor.core.options.contract import OptionKind
from modest_rotor.core.options.step_working import StepWorkings
from modest_rotor.core.options.traits import Holds
from modest_rotor.core.phrase import Figure, Frozen, Phrase
from modest_rotor.core.say import say
from modest_rotor.core.working import Result


class StepAnswer(Frozen):
    """One duty step of one option."""

    id: str
    name: str
    hours: Figure | None
    demand: Figure | None
    saved: Figure | None = Field(default=None, description="kWh a year against the base, without starts and standby")
    flow: Figure | None
    pressure: Figure | None
    speed: Figure | None
    torque: Figure | None
    shaft_power: Figure | None
    input_power: Figure | None
    current: Figure | None
    power_factor: Figure | None
    motor_efficiency: Figure | None
    whole_efficiency: Figure | None
    setting: Phrase
    short: Figure | None = Field(description="by how much the flow falls short of what was asked, as a share")
    differs: tuple[str, ...] = Field(
        description="parts that differ from the base's by more than what they do not share"
    )
    note: str
    wheel_ratio: float | None = Field(default=None, description="turns of the wheel for one of the motor, over today's")
    workings: StepWorkings | None = Field(
        default=None, exclude=True, description="asked for by themselves: they are long, and seldom read"
    )


class LoadedPoint(Frozen):
    """An option's first step on a tighter system."""

    factor: float
    flow: Figure
    input_power: Figure
    gives_way: bool = Field(
        default=False, description="at its limit of torque, power or speed: it holds its setting no longer"
    )


class LoadedAnswer(Frozen):
    """What an option does as the filter loads: along the picture, and at the state that was asked for."""

    id: str
    letter: str
    title: str
    series: str
    holds: Holds
    points: tuple[LoadedPoint, ...]
    asked: LoadedPoint
    at_static: LoadedPoint | None = Field(
        default=None, description="against the static that was typed, whatever the flow"
    )


class Sensitivity(Frozen):
    """One input whose uncertainty moves the answer: its share of the variance, and what the saving is at its two ends."""

    source: str
    share: float
    low: Figure
    high: Figure


class Sensitivities(Frozen):
    """The inputs that move a saving most, and the reading that would narrow it most."""

    formerly = (("largest", "levers"),)

    largest: tuple[Sensitivity, ...]
    rest: float
    narrow: Phrase


class OptionAnswer(Frozen):
    """One option: whether it may be fitted, its steps, its year, its money."""

    formerly = (("sensitivities", "levers"),)

    letter: str
    id: str
    kind: OptionKind
    title: str
    product: str | None
    series: str
    fits: Fits
    checks: tuple[FitCheck, ...]
    steps: tuple[StepAnswer, ...]
    energy: Result
    money: Result
    saved_energy: Result
    saved_on_right: Figure | None = Field(
        default=None, description="kWh a year against the repaired machine, which is what proof measures"
    )
    saved_money: Result
    nominal_saving: Result
    cube_promise: Result
    always_on: Result
    start_energy: Result
    payback: Result
    break_even: Result
    worth: Result
    saved_emissions: Result
    made_up_heat: Result
    saved_cooling: Result
    net_money: Result
    sensitivities: Sensitivities | None
    cost: Figure | None
    wears: str
    lead_time: Phrase
    limits: tuple[str, ...] = Field(description="what it does not do, or may not")
    upheld: tuple[str, ...] = Field(default=(), description="what it keeps that must be kept")
    stop: str | None


class RepairAnswer(Frozen):
    """What putting the machine right does by itself, on its own lines."""

    done: tuple[Phrase, ...]
    lacking: tuple[str, ...]
    flow: Figure | None
    energy: Result
    money: Result


class RankedAnswer(Frozen):
    """A candidate's place in the order; ``cost`` is what it costs fitted, of a dead motor what it costs more than the base."""

    id: str
    cost: Figure | None
    is_base: bool


class RankingAnswer(Frozen):
    """Candidates, best saving first, those that wait after them, stopped ones last."""

    rows: tuple[RankedAnswer, ...]
    differences: Phrase


class OptionsAnswer(Frozen):
    """All options, or what they wait for."""

    waits: str | None
    options: tuple[OptionAnswer, ...]
    against: str = Field(default=say("option-answer-put-right"), description="what savings are held against, in words")
    base: str = Field(default="keep", description="id of the option that savings are held against")
    against_new: bool = Field(default=False, description="held against a new motor: the old one is dead")
    repair: RepairAnswer | None = None
    ranking: RankingAnswer | None = Field(default=None, exclude=True, description="told by the first page of the job")
