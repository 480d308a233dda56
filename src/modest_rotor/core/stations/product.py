"""A product: a motor, module, drive, regulator, fan or pump that could be fitted, as a catalogue or a job holds it."""

from __future__ import annotations

from enum import StrEnum
from typing import Literal, NamedTuple

from pydantic import Field

from modest_rotor.core.coded import Coded
from modest_rotor.core.entry import Entry
from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.stations.plate import Rotation
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

    airflow: Entry | None = asked("airflow", "Airflow", "plate")
    water_flow: Entry | None = asked("water_flow", "Water flow", "plate")
    pressure: Entry | None = asked("pressure", "Pressure", "plate", "Static pressure of a fan.")
    head: Entry | None = asked("pump_differential", "Head", "plate", "Differential of a pump.")
    shaft_power: Entry | None = asked("shaft_power", "Shaft power", "plate")


class Link(NamedTuple):
    """One of the connections of a product: volts, and full-load amps where they are known."""

    volts_v: float
    amps_a: float | None


class Product(Sheet):
    """What a data sheet says; the job that considers it keeps its own copy."""

    code: str = Field(title="Code", description="Small letters, figures and dashes.", pattern=CODE)
    type: ProductType = Field(title="Type")
    name: str = Field(title="Name", description="What it is, without a make.", min_length=1, max_length=LONGEST_NAME)
    motor_kind: MotorKind | None = chosen("Kind of motor")
    holds: Literal["torque", "airflow", "speed", "pressure"] | None = chosen("What it holds", "Electronic ones only.")
    rated_power: Entry | None = asked("rated_power", "Rated power", "plate", "At the shaft; of a drive, of its motor.")
    rated_voltage: Entry | None = asked("rated_voltage", "Rated volts", "plate", "A range is kept whole.")
    other_voltage: Entry | None = asked("rated_voltage", "Volts, other link", "plate", "Of a dual-voltage product.")
    phases: Literal[1, 3] | None = chosen("Phases", "Of its supply.")
    frequency: Entry | None = asked("frequency", "Frequency", "plate")
    rated_speed: Entry | None = asked("rated_speed", "Rated speed", "plate")
    rated_current: Entry | None = asked("rated_current", "Full-load amps", "plate")
    other_current: Entry | None = asked(
        "rated_current",
        "Amps, other link",
        "plate",
        "Those that go with the other volts; in proportion where left empty.",
    )
    nominal_efficiency: Entry | None = asked("efficiency", "Nominal efficiency", "plate", "At rated load.")
    least_efficiency: Entry | None = asked(
        "efficiency", "Guaranteed efficiency", "plate", "The least that its maker stands for; savings count on it too."
    )
    power_factor: Entry | None = asked("read_power_factor", "Power factor", "plate", "True, at rated load.")
    service_factor: Entry | None = asked("service_factor", "Service factor", "plate")
    code_letter: str | None = told("Code letter", "Locked-rotor code, A to V.", longest=2)
    run_capacitance: Entry | None = asked("capacitance", "Run capacitor", "plate")
    capacitor_voltage: Entry | None = asked("capacitor_voltage", "Run capacitor volts", "plate")
    frame: str | None = told("Frame", "With its suffix.", longest=12)
    shaft_diameter: Entry | None = asked("dimension", "Shaft diameter", "plate")
    shaft_length: Entry | None = asked("dimension", "Shaft length", "plate")
    keyway: YesNo | None = chosen("Keyway", "A flat counts as none.")
    mounting: Mounting | None = chosen("Mounting")
    rotation: Rotation | None = chosen("Rotation", "Facing the shaft end.")
    enclosure: str | None = told("Enclosure", "IP54, or TEFC, TEAO, ODP.", longest=12)
    air_over: YesNo | None = chosen("Needs the machine's air", "Air-over motors are cooled by the wheel alone.")
    shaft_up: YesNo | None = chosen("May stand shaft up")
    drive_ready: YesNo | None = chosen("Insulation made for a drive")
    torque_taps: Literal[2, 3, 4, 5, 6, 8] | None = chosen("Torque taps")
    command: CommandKind | None = chosen("Command", "What it is told by.")
    least_speed: Entry | None = asked("command", "Least speed", "plate", "Share of rated speed.")
    highest_speed: Entry | None = asked("speed", "Highest speed", "plate", "Of wheel and bearings.")
    standby: Entry | None = asked("standby_power", "Standby power", "plate", "With the rotor still.")
    single_phase_input: YesNo | None = chosen("May be fed with one phase", "A drive.")
    listed_for_replacement: YesNo | None = chosen("Listed as a replacement", "By an appliance's maker or a listing.")
    blower_constants: YesNo | None = chosen("Taught this blower", "An airflow-holding motor must know its wheel.")
    curve: tuple[CurvePoint, ...] = Field(default=(), title="Curve", max_length=MOST_POINTS)
    curve_speed: Entry | None = asked("speed", "Speed of the curve", "plate")
    price: Entry | None = asked("price", "Price", "typed", "In the catalogue's currency, without labour.")
    lead_time: Entry | None = asked("lead_time", "Lead time", "typed")
    van_stock: YesNo | None = chosen("In the van")
    life: Entry | None = asked("life", "Stated life", "typed")
    wears: str | None = told("What wears", longest=LONGEST_NAME)
    note: str | None = told("Note", longest=400)

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
