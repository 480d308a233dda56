"""Findings: what the technician says of each, and what is looked at on a motor that does not run."""

from __future__ import annotations

from typing import Literal

from modest_rotor.core.coded import Coded
from modest_rotor.core.entry import Entry
from modest_rotor.core.stations.sheet import LONGEST_NAME, Sheet, asked, chosen, moment, told
from modest_rotor.core.stations.statement import Statement

YesNo = Literal["yes", "no"]


class ModulePart(Coded):
    """How an electronic motor is built."""

    SEPARATE = "separate"
    ONE_PIECE = "one-piece"


class ThermalState(Coded):
    """How a thermal switch was found."""

    CLOSED = "closed"
    OPEN_HOT = "open-hot"
    OPEN_COLD = "open-cold"


class SwitchState(Coded):
    """How a start switch or relay was found."""

    GOOD = "good"
    STUCK = "stuck"


class MarkState(Coded):
    """What became of a finding."""

    CONFIRMED = "confirmed"
    CLEARED = "cleared"
    FIXED = "fixed"
    NOT_NOW = "not-now"


class Mark(Statement):
    """What was said of a finding, by whom and when; marks are added, never overwritten."""

    finding: str = told("field-Mark-finding", longest=120, default="")
    state: MarkState = MarkState.CONFIRMED
    note: str | None = told("field-Mark-note", longest=400)
    who: str | None = told("field-Mark-who", longest=LONGEST_NAME)
    at: str | None = moment("field-Mark-at")


class Checks(Sheet):
    """What is looked at on a motor that is dead or does not start, in the order of the hands."""

    sound: Literal["hums", "silent", "clicks"] | None = chosen("field-Checks-sound")
    line_volts: YesNo | None = chosen("field-Checks-line_volts")
    all_phases: YesNo | None = chosen("field-Checks-all_phases")
    turns: Literal["free", "stiff", "stuck"] | None = chosen("field-Checks-turns")
    capacitance: Entry | None = asked("capacitance", "field-Checks-capacitance", "measured")
    start_capacitor: Literal["good", "bad"] | None = chosen("field-Checks-start_capacitor")
    switch: SwitchState | None = chosen("field-Checks-switch")
    thermal: ThermalState | None = chosen("field-Checks-thermal")
    permanent: YesNo | None = chosen("field-Checks-permanent")
    command: YesNo | None = chosen("field-Checks-command")
    right_tap: YesNo | None = chosen("field-Checks-right_tap")
    enable: YesNo | None = chosen("field-Checks-enable")
    module: ModulePart | None = chosen("field-Checks-module")
    fault_word: str | None = told("field-Checks-fault_word", longest=80)
    drive_output: YesNo | None = chosen("field-Checks-drive_output")
    overload: Literal["closed", "tripped"] | None = chosen("field-Checks-overload")
