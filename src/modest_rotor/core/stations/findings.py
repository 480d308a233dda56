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

    finding: str = told("Finding", longest=120, default="")
    state: MarkState = MarkState.CONFIRMED
    note: str | None = told("Note", longest=400)
    who: str | None = told("Who", longest=LONGEST_NAME)
    at: str | None = moment("When")


class Checks(Sheet):
    """What is looked at on a motor that is dead or does not start, in the order of the hands."""

    sound: Literal["hums", "silent", "clicks"] | None = chosen(
        "What does it do when called?", "Listen first. Never help a wheel round by hand under power."
    )
    line_volts: YesNo | None = chosen("Are line volts there?", "At the motor's own terminals, while it is called.")
    all_phases: YesNo | None = chosen("Are all three lines there?", "Line to line, three readings alike.")
    turns: Literal["free", "stiff", "stuck"] | None = chosen(
        "Does the shaft turn by hand?", "Power off, locked out, wheel secured against windmilling."
    )
    capacitance: Entry | None = asked(
        "capacitance", "Run capacitor, out of circuit", "measured", "Discharged, both leads off."
    )
    start_capacitor: Literal["good", "bad"] | None = chosen(
        "Start capacitor", "Discharged; by a meter, and by its look."
    )
    switch: SwitchState | None = chosen("Start switch or relay", "Contacts clean, spring free; relay coil not open.")
    thermal: ThermalState | None = chosen("Thermal switch", "Between its own leads, or common to both windings.")
    permanent: YesNo | None = chosen(
        "Does the supply stay on?", "An electronic motor's line is never switched to control it."
    )
    command: YesNo | None = chosen("Is a command there?", "Tap to common, 24 V or the signal's volts, while called.")
    right_tap: YesNo | None = chosen("Is it on the right tap?", "As the call → tap table on Plate says.")
    enable: YesNo | None = chosen(
        "Are enable and voltage selector right?", "Selector on the volts measured; enable closed."
    )
    module: ModulePart | None = chosen("Is the module a separate part?", "Held by screws, with a plug between.")
    fault_word: str | None = told("Fault word or code", "As the drive or module shows it; as text.", longest=80)
    drive_output: YesNo | None = chosen(
        "Are volts at the drive's output?", "With a meter made for it; motor disconnected."
    )
    overload: Literal["closed", "tripped"] | None = chosen("Overload", "Relay, breaker or the drive's own.")
