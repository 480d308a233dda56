"""Nameplate: what is this motor?"""

from __future__ import annotations

from typing import Literal

from modest_rotor.core.coded import Coded
from modest_rotor.core.entry import Entry
from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.stations.sheet import Sheet, asked, chosen, told

NEAR_RATED = 0.10
"""Logarithm within which volts are those of a connection."""


class SeenFrom(Coded):
    """From where a rotation was seen."""

    SHAFT_END = "shaft-end"
    LEAD_END = "lead-end"


class PowerIs(Coded):
    """Where the printed power is."""

    SHAFT = "shaft"
    LINE = "line"


class WiredFor(Coded):
    """For which of a plate's volts a motor is wired."""

    FIRST = "first"
    OTHER = "other"


class Protection(Coded):
    """What opens when the windings grow too hot."""

    AUTOMATIC = "automatic"
    MANUAL = "manual"
    THERMAL = "thermal"
    IMPEDANCE = "impedance"
    NONE = "none"


class Rotation(Coded):
    """Which way the shaft turns; nothing without its viewpoint."""

    CLOCKWISE = "clockwise"
    COUNTER = "counter-clockwise"
    EITHER = "reversible"


class Speeds(Coded):
    """How many speeds a three-phase motor is wound for."""

    ONE = "one"
    TWO_WINDINGS = "two-windings"
    ONE_WINDING = "one-winding"


class Build(Coded):
    """How shaft and rotor are built."""

    ONE_END = "one-end"
    BOTH_ENDS = "both-ends"
    OUTER_ROTOR = "outer-rotor"


class Nameplate(Sheet):
    """What the plate says. Of a dual-voltage plate both connections are kept, and one is chosen."""

    line: str | None = told("field-Nameplate-line", longest=600)  # fmt: skip
    rated_power: Entry | None = asked("rated_power", "field-Nameplate-rated_power", "plate")
    rated_voltage: Entry | None = asked("rated_voltage", "field-Nameplate-rated_voltage", "plate")
    rated_current: Entry | None = asked("rated_current", "field-Nameplate-rated_current", "plate")
    second_voltage: Entry | None = asked("rated_voltage", "field-Nameplate-second_voltage", "plate")
    second_current: Entry | None = asked("rated_current", "field-Nameplate-second_current", "plate")
    wired_for: WiredFor | None = chosen("field-Nameplate-wired_for")
    rated_speed: Entry | None = asked("rated_speed", "field-Nameplate-rated_speed", "plate")
    speeds: Speeds | None = chosen("field-Nameplate-speeds")
    low_speed: Entry | None = asked("rated_speed", "field-Nameplate-low_speed", "plate")
    low_power: Entry | None = asked("rated_power", "field-Nameplate-low_power", "plate")
    low_current: Entry | None = asked("rated_current", "field-Nameplate-low_current", "plate")
    build: Build | None = chosen("field-Nameplate-build")
    frequency: Entry | None = asked("frequency", "field-Nameplate-frequency", "plate")
    phases: Literal[1, 3] | None = chosen("field-Nameplate-phases")
    motor_kind: MotorKind | None = chosen("field-Nameplate-motor_kind")
    holds: Literal["torque", "airflow", "speed"] | None = chosen("field-Nameplate-holds")
    run_capacitance: Entry | None = asked("capacitance", "field-Nameplate-run_capacitance", "plate")
    capacitor_voltage: Entry | None = asked("capacitor_voltage", "field-Nameplate-capacitor_voltage", "plate")
    capacitor_tolerance: Entry | None = asked("tolerance", "field-Nameplate-capacitor_tolerance", "plate")
    shared_capacitor: Literal["yes", "no"] | None = chosen("field-Nameplate-shared_capacitor")
    start_capacitance: Entry | None = asked("capacitance", "field-Nameplate-start_capacitance", "plate")
    service_factor: Entry | None = asked("service_factor", "field-Nameplate-service_factor", "plate")
    service_factor_current: Entry | None = asked("rated_current", "field-Nameplate-service_factor_current", "plate")
    code_letter: str | None = told("field-Nameplate-code_letter", longest=2)
    power_is: PowerIs | None = chosen("field-Nameplate-power_is")
    nominal_efficiency: Entry | None = asked("efficiency", "field-Nameplate-nominal_efficiency", "plate")
    efficiency_class: Literal["IE1", "IE2", "IE3", "IE4"] | None = chosen("field-Nameplate-efficiency_class")
    power_factor: Entry | None = asked("read_power_factor", "field-Nameplate-power_factor", "plate")
    frame: str | None = told("field-Nameplate-frame", longest=12)
    enclosure: str | None = told("field-Nameplate-enclosure", longest=12)
    insulation: Literal["A", "B", "F", "H"] | None = chosen("field-Nameplate-insulation")
    ambient: Entry | None = asked("temperature", "field-Nameplate-ambient", "plate")
    duty: str | None = told("field-Nameplate-duty", longest=40)
    protection: Protection | None = chosen("field-Nameplate-protection")
    rotation: Rotation | None = chosen("field-Nameplate-rotation")
    rotation_seen_from: SeenFrom | None = chosen("field-Nameplate-rotation_seen_from")
    overload_setting: Entry | None = asked("rated_current", "field-Nameplate-overload_setting", "measured")

    @property
    def kind(self) -> MotorKind | None:
        """The kind of motor: as said, or else as far as phases and capacitor tell it."""
        if self.motor_kind is not None:
            return self.motor_kind
        if self.phases == 3:
            return MotorKind.THREE_PHASE
        if self.run_capacitance is not None:
            return MotorKind.SPLIT_CAPACITOR
        return MotorKind.SINGLE_PHASE if self.phases == 1 else None

    @property
    def is_two_speed(self) -> bool:
        """Whether it is a three-phase motor that is switched from one speed to another."""
        said = self.speeds in (Speeds.TWO_WINDINGS, Speeds.ONE_WINDING) or self.low_speed is not None
        return said and self.kind is MotorKind.THREE_PHASE

    @property
    def low(self) -> Nameplate:
        """The plate of its low speed alone: what is printed once holds for both."""
        only_high = dict.fromkeys(
            (
                "nominal_efficiency",
                "efficiency_class",
                "power_factor",
                "service_factor_current",
                "low_speed",
                "low_power",
                "low_current",
                "speeds",
            )
        )
        own = {
            "rated_speed": self.low_speed,
            "rated_power": self.low_power,
            "rated_current": self.low_current,
            "second_current": None,
        }
        return self.model_copy(update={**only_high, **own})

    @property
    def is_electronic(self) -> bool:
        """Whether electronics turn the supply into what the windings get."""
        return self.motor_kind is MotorKind.ELECTRONIC

    @property
    def wired_voltage(self) -> Entry | None:
        """Rated volts of the connection in which the motor is wired; the first where nobody said."""
        return (self.second_voltage if self.wired_for is WiredFor.OTHER else None) or self.rated_voltage

    @property
    def wired_current(self) -> Entry | None:
        """Full-load amps of the same connection."""
        return self.second_current if self.wired_for is WiredFor.OTHER and self.second_voltage else self.rated_current

    def as_fed(self, volts_v: float | None) -> Nameplate:
        """The plate wired for the volts that were read, where nobody said how it is wired and they are the other connection's.

        Volts within a tenth of rated are a motor's own: NEMA MG 1, 12.44 (from memory).
        """
        first, other = self.rated_voltage, self.second_voltage
        if self.wired_for is not None or first is None or other is None or not volts_v or volts_v <= 0:
            return self
        own, others = first.outside_by(volts_v), other.outside_by(volts_v)
        return self.model_copy(update={"wired_for": WiredFor.OTHER}) if others < NEAR_RATED < own else self

    def connection_at(self, volts_v: float | None) -> tuple[float, float | None] | None:
        """Volts and full-load amps of the connection that volts ask for; the one in which it is wired where none were measured.

        Amps that are not printed for it go inversely with its volts: the power is the same. Source: definition of power.
        """
        pairs = [
            (volts, amps.si if amps else None)
            for volts, amps in ((self.rated_voltage, self.rated_current), (self.second_voltage, self.second_current))
            if volts is not None
        ]
        if not pairs:
            return None
        wired = self.wired_voltage
        asked = volts_v or (wired.si if wired else pairs[0][0].si)
        entry, amps_a = min(pairs, key=lambda pair: pair[0].outside_by(asked))
        if amps_a is None:
            known = next(((volts.si, amps) for volts, amps in pairs if amps is not None), None)
            amps_a = known[0] * known[1] / entry.si if known and known[1] is not None else None
        return entry.si, amps_a
