"""A product: a motor, module, drive, regulator, fan or pump that could be fitted, as a catalogue or a job holds it."""

from __future__ import annotations

from enum import StrEnum
from typing import Literal, NamedTuple

from pydantic import Field

from modest_rotor.core.coded import Coded
from modest_rotor.core.entry import Entry
from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.say import say
from modest_rotor.core.stations.nameplate import Rotation
from modest_rotor.core.stations.sheet import LONGEST_NAME, Sheet, asked, chosen, told

YesNo = Literal["yes", "no"]
MOST_POINTS = 40
BEST_EFFICIENCY = 0.985
"""Efficiency that no motor, drive or fan of a building reaches. Our judgement, no source."""
GUARANTEED_LOSSES = 1.2
"""Losses that a guaranteed efficiency allows over those of its nominal one: NEMA MG 1, 12.58 (from memory)."""
CODE = r"^[a-z0-9][a-z0-9-]{1,39}$"


class ProductType(StrEnum):
    """What a product is."""

    MOTOR = "motor"
    MODULE = "module"
    DRIVE = "drive"
    REGULATOR = "regulator"
    FAN = "fan"
    PUMP = "pump"


class Mounting(Coded):
    """How a motor is held."""

    BAND = "band"
    LUG = "lugs"
    STUD = "studs"
    FOOT = "foot"
    FACE = "face"
    RESILIENT = "resilient"
    OUTSIDE_ROTOR = "outside-rotor"
    CLOSE_COUPLED = "close-coupled"


class CommandKind(Coded):
    """What tells a machine how fast to run."""

    SWITCHED_LINE = "switched-line"
    CALLS = "calls"
    SIGNAL = "signal"
    DIAL = "dial"
    NONE = "none"


class CurvePoint(Sheet):
    """One row of a machine's own table, at its curve speed."""

    airflow: Entry | None = asked("airflow", "field-CurvePoint-airflow", "plate")
    water_flow: Entry | None = asked("water_flow", "field-CurvePoint-water_flow", "plate")
    pressure: Entry | None = asked("pressure", "field-CurvePoint-pressure", "plate")
    head: Entry | None = asked("pump_differential", "field-CurvePoint-head", "plate")
    shaft_power: Entry | None = asked("shaft_power", "field-CurvePoint-shaft_power", "plate")


class Link(NamedTuple):
    """One of the connections of a product: volts, and full-load amps where they are known."""

    volts_v: float
    amps_a: float | None


class Product(Sheet):
    """What a data sheet says; the job that considers it keeps its own copy."""

    code: str = Field(title=say("product-code"), description=say("product-code-form"), pattern=CODE)
    type: ProductType = Field(title=say("product-type"))
    name: str = Field(
        title=say("product-name"), description=say("product-name-help"), min_length=1, max_length=LONGEST_NAME
    )
    motor_kind: MotorKind | None = chosen("field-Product-motor_kind")
    holds: Literal["torque", "airflow", "speed", "pressure"] | None = chosen("field-Product-holds")
    rated_power: Entry | None = asked("rated_power", "field-Product-rated_power", "plate")
    rated_voltage: Entry | None = asked("rated_voltage", "field-Product-rated_voltage", "plate")
    other_voltage: Entry | None = asked("rated_voltage", "field-Product-other_voltage", "plate")
    phases: Literal[1, 3] | None = chosen("field-Product-phases")
    frequency: Entry | None = asked("frequency", "field-Product-frequency", "plate")
    rated_speed: Entry | None = asked("rated_speed", "field-Product-rated_speed", "plate")
    rated_current: Entry | None = asked("rated_current", "field-Product-rated_current", "plate")
    other_current: Entry | None = asked("rated_current", "field-Product-other_current", "plate")
    nominal_efficiency: Entry | None = asked("efficiency", "field-Product-nominal_efficiency", "plate")
    least_efficiency: Entry | None = asked("efficiency", "field-Product-least_efficiency", "plate")
    power_factor: Entry | None = asked("read_power_factor", "field-Product-power_factor", "plate")
    service_factor: Entry | None = asked("service_factor", "field-Product-service_factor", "plate")
    code_letter: str | None = told("field-Product-code_letter", longest=2)
    run_capacitance: Entry | None = asked("capacitance", "field-Product-run_capacitance", "plate")
    capacitor_voltage: Entry | None = asked("capacitor_voltage", "field-Product-capacitor_voltage", "plate")
    frame: str | None = told("field-Product-frame", longest=12)
    shaft_diameter: Entry | None = asked("dimension", "field-Product-shaft_diameter", "plate")
    shaft_length: Entry | None = asked("dimension", "field-Product-shaft_length", "plate")
    keyway: YesNo | None = chosen("field-Product-keyway")
    mounting: Mounting | None = chosen("field-Product-mounting")
    rotation: Rotation | None = chosen("field-Product-rotation")
    enclosure: str | None = told("field-Product-enclosure", longest=12)
    air_over: YesNo | None = chosen("field-Product-air_over")
    shaft_up: YesNo | None = chosen("field-Product-shaft_up")
    drive_ready: YesNo | None = chosen("field-Product-drive_ready")
    torque_taps: Literal[2, 3, 4, 5, 6, 8] | None = chosen("field-Product-torque_taps")
    command: CommandKind | None = chosen("field-Product-command")
    least_speed: Entry | None = asked("command", "field-Product-least_speed", "plate")
    highest_speed: Entry | None = asked("speed", "field-Product-highest_speed", "plate")
    standby: Entry | None = asked("standby_power", "field-Product-standby", "plate")
    single_phase_input: YesNo | None = chosen("field-Product-single_phase_input")
    listed_for_replacement: YesNo | None = chosen("field-Product-listed_for_replacement")
    blower_constants: YesNo | None = chosen("field-Product-blower_constants")
    curve: tuple[CurvePoint, ...] = Field(default=(), title=say("product-curve"), max_length=MOST_POINTS)
    curve_speed: Entry | None = asked("speed", "field-Product-curve_speed", "plate")
    price: Entry | None = asked("price", "field-Product-price", "typed")
    lead_time: Entry | None = asked("lead_time", "field-Product-lead_time", "typed")
    van_stock: YesNo | None = chosen("field-Product-van_stock")
    life: Entry | None = asked("life", "field-Product-life", "typed")
    wears: str | None = told("field-Product-wears", longest=LONGEST_NAME)
    note: str | None = told("field-Product-note", longest=400)

    @property
    def volts(self) -> tuple[tuple[float, float], ...]:
        """The ranges of volts that it may be linked for, V."""
        entries = (self.rated_voltage, self.other_voltage)
        return tuple((entry.low or entry.si, entry.si) for entry in entries if entry)

    def link(self, measured_v: float | None) -> Link | None:
        """The link of a dual-voltage product that the volts measured ask for; its only one, or its first where none were.

        Amps of the other link, where no sheet states them, go inversely with its volts: the power is the same. Source:
        definition of power.
        """
        if self.rated_voltage is None:
            return None
        amps = self.rated_current.si if self.rated_current else None
        first = Link(self.rated_voltage.si, amps)
        if self.other_voltage is None or not measured_v or measured_v <= 0:
            return first
        other_amps = self.other_current.si if self.other_current else None
        if other_amps is None and amps is not None:
            other_amps = amps * self.rated_voltage.si / self.other_voltage.si
        other = Link(self.other_voltage.si, other_amps)
        # Volts of a range, such as 208-230 V, count as met all along it.
        off_first, off_other = (entry.outside_by(measured_v) for entry in (self.rated_voltage, self.other_voltage))
        return other if off_other < off_first else first

    @property
    def promised_efficiency(self) -> float | None:
        """The efficiency that a promise may rest on: guaranteed, or else nominal."""
        entry = self.least_efficiency or self.nominal_efficiency
        return entry.si if entry and is_possible_efficiency(entry.si) else None

    @property
    def expected_efficiency(self) -> float | None:
        """What it is expected to have at rating: losses between those of the nominal and the guaranteed value.

        Where the nominal one alone is stated, the guaranteed one is taken from NEMA MG 1, 12.58: losses a fifth over the nominal
        ones; where the guaranteed one alone is, nothing better is expected.
        """
        nominal, least = (
            1 / entry.si - 1 if entry and is_possible_efficiency(entry.si) else None
            for entry in (self.nominal_efficiency, self.least_efficiency)
        )
        if nominal is None:
            return None if least is None else 1 / (1 + least)
        least = least if least is not None else GUARANTEED_LOSSES * nominal
        return 1 / (1 + (nominal + least) / 2)

    @property
    def impossible_efficiency(self) -> Entry | None:
        """A stated efficiency that no machine has, if one is."""
        stated = (self.nominal_efficiency, self.least_efficiency)
        return next((entry for entry in stated if entry is not None and not is_possible_efficiency(entry.si)), None)


def is_possible_efficiency(efficiency: float) -> bool:
    """Whether a machine can have an efficiency, a fraction."""
    return 0 < efficiency <= BEST_EFFICIENCY
