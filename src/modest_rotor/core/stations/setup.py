"""Set-up: how is it set? What was done, by whom; what was found; the readings of the balancing loop; what was loud."""

from __future__ import annotations

from typing import Literal

from pydantic import Field

from modest_rotor.core.coded import Coded
from modest_rotor.core.entry import Entry
from modest_rotor.core.stations.loop import Loop
from modest_rotor.core.stations.sheet import LONGEST_NAME, Identified, Sheet, asked, chosen, moment, told
from modest_rotor.core.stations.statement import Statement
from modest_rotor.core.stations.traits import Traits

MOST_SIGNS, MOST_TRIALS, MOST_MARKS = 120, 60, 400


class BypassRotation(Coded):
    """Which way it turned on the bypass."""

    RIGHT = "right"
    WRONG = "wrong"
    NO_BYPASS = "no-bypass"


class SignState(Coded):
    """What became of a step."""

    DONE = "done"
    NOT_NEEDED = "not-needed"
    STOP = "stop"


class Sign(Statement):
    """A step signed: what was found, by whom, when. A stop is lifted by signing the step again."""

    step: str = told("Step", default="", longest=60)
    state: SignState = SignState.DONE
    found: str | None = told("What was found", longest=400)
    basis: str | None = told("Signed on", "What the step showed when it was signed.", longest=400)
    who: str = told("Who", default="", longest=LONGEST_NAME)
    at: str | None = moment("When")


class Opening(Coded):
    """How far open the plate or damper stood when a setting was read."""

    PART = "part"
    WIDE_OPEN = "wide-open"
    DUCT_OFF = "duct-off"


class Trial(Identified):
    """One setting tried, and what was read on it: the flow itself, or what stands for it."""

    step: str = told("Duty step", default="", longest=16)
    signal: Entry | None = asked("signal", "Command", "measured", "Share of full; 5 V of 0-10 V is 50 %.")
    frequency: Entry | None = asked("output_frequency", "Hertz", "measured", "At the drive's output.")
    tap: Literal[1, 2, 3, 4, 5, 6, 7, 8] | None = chosen("Torque tap")
    opening: Opening | None = chosen("Plate or damper", "Where it stood; with the duct off at the unit it is a test.")
    airflow: Entry | None = asked("airflow", "Airflow", "measured", "Hood, traverse or flow station.")
    water_flow: Entry | None = asked("water_flow", "Water flow", "measured")
    static: Entry | None = asked(
        "pressure", "Total external static", "measured", "In place of a flow: on the duct's own curve."
    )
    current: Entry | None = asked("current", "Line amps", "measured", "In place of a flow: by the amps chart.")
    rise: Entry | None = asked(
        "temperature_difference",
        "Temperature rise",
        "measured",
        "In place of a flow: with the heat as said on Readings.",
    )
    source: str | None = told("Read from", "A person, or a device.", longest=LONGEST_NAME)
    who: str | None = told("Who", longest=LONGEST_NAME)
    at: str | None = moment("When")


class LoudMark(Identified):
    """A frequency that was loud, as heard or by a level."""

    frequency: Entry | None = asked("output_frequency", "Loud at", "measured")
    level: Entry | None = asked("sound_level", "Sound level", "measured")
    going: Literal["up", "down"] | None = chosen("On the way")
    who: str | None = told("Who", longest=LONGEST_NAME)
    at: str | None = moment("When")


class Sweep(Sheet):
    """The noise sweep: from where to where, in which steps, and what was loud."""

    cleared: Literal["yes", "no"] | None = chosen("Old skips cleared?", "A band that is skipped is never heard.")
    low: Entry | None = asked("output_frequency", "From", "typed", "Empty: the lowest that the drive may run.")
    high: Entry | None = asked("output_frequency", "To", "typed", "Empty: the highest.")
    step: Entry | None = asked("step_frequency", "In steps of", "typed", "1 Hz where nothing is said.")
    hold: Entry | None = asked("hold_time", "Hold each for", "typed", "4 s where nothing is said.")
    margin: Entry | None = asked("margin_frequency", "Margin beside", "typed", "Half a step where nothing is said.")
    limit: Entry | None = asked(
        "sound_level", "Loud from", "typed", "Only where a level is read; an ear marks by itself."
    )
    swept_up: Literal["yes", "no"] | None = chosen("Swept up?")
    swept_down: Literal["yes", "no"] | None = chosen("Swept down?")
    marks: tuple[LoudMark, ...] = Field(default=(), max_length=MOST_MARKS)


class ControlMode(Coded):
    """How a drive controls its motor."""

    VOLTS_PER_HERTZ = "volts-per-hertz"
    VECTOR = "vector"
    PERMANENT_MAGNET = "permanent-magnet"
    RELUCTANCE = "reluctance"
    ENCODER = "encoder"


class DriveSettings(Sheet):
    """What is typed into the drive, where it is not what was worked out."""

    mode: ControlMode | None = chosen(
        "Control mode", "Volts per hertz where nothing is said; a reluctance motor's own."
    )
    shape: Literal["straight", "square"] | None = chosen("Volts over hertz", "Straight where nothing is said.")
    base_frequency: Entry | None = asked("output_frequency", "Base frequency", "plate", "Empty: the motor's plate.")
    base_voltage: Entry | None = asked("rated_voltage", "Base volts", "plate", "Empty: the motor's plate.")
    trim: Entry | None = asked("volts_trim", "Volts trim", "typed", "Over or under the straight line.")
    carrier: Entry | None = asked("carrier_frequency", "Carrier frequency", "typed", "4 kHz where nothing is said.")
    lowest: Entry | None = asked(
        "output_frequency",
        "Lowest hertz",
        "typed",
        "Never below what is worked out, but for a capacitor motor both of whose makers agreed.",
    )
    highest: Entry | None = asked("output_frequency", "Highest hertz", "typed", "Never above what is worked out.")
    ramp_up: Entry | None = asked("ramp", "Ramp up", "typed")
    ramp_down: Entry | None = asked("ramp", "Ramp down", "typed")
    new_current: Entry | None = asked(
        "rated_current", "Full-load amps, new plate", "plate", "Of the motor that it feeds."
    )
    new_speed: Entry | None = asked("rated_speed", "Rated speed, new plate", "plate")


class Setup(Sheet):
    """Everything that is said while the machine is set."""

    tolerance: Entry | None = asked("tolerance", "Tolerance of flow", "typed", "± 5 % where nothing is said.")
    first_volts: Entry | None = asked(
        "voltage", "Volts measured here", "measured", "At this machine, before power is put on the motor."
    )
    second_volts: Entry | None = asked(
        "voltage", "The same, measured again", "measured", "Typed a second time from the meter, not from memory."
    )
    link: Entry | None = asked(
        "rated_voltage",
        "Voltage selector or tap is set for",
        "plate",
        "As it stands on the new motor: 115, 208-230, 277 V.",
    )
    device: str | None = told("Device", "The drive or electronic motor that is set.", longest=LONGEST_NAME)
    panel: str | None = told("Meter panel", "The panel that is read at this machine.", longest=LONGEST_NAME)
    traits: Traits | None = Field(default=None, title="Traits", description="Of the device, as its profile says them.")
    rotation_output: Literal["right", "wrong"] | None = chosen(
        "Rotation from the drive", "Facing the shaft end, as the wheel's arrow."
    )
    rotation_bypass: BypassRotation | None = chosen("Rotation on the bypass")
    signs: tuple[Sign, ...] = Field(default=(), max_length=MOST_SIGNS)
    trials: tuple[Trial, ...] = Field(default=(), max_length=MOST_TRIALS)
    sweep: Sweep = Sweep()
    drive: DriveSettings = DriveSettings()
    loop: Loop = Loop()
