"""Set-up: how is it set? What was done, by whom; what was found; the readings of the balancing loop; what was loud."""

from __future__ import annotations

from typing import Literal

from pydantic import Field

from modest_rotor.core.coded import Coded
from modest_rotor.core.entry import Entry
from modest_rotor.core.say import say
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

    step: str = told("field-Sign-step", default="", longest=60)
    state: SignState = SignState.DONE
    found: str | None = told("field-Sign-found", longest=400)
    basis: str | None = told("field-Sign-basis", longest=400)
    who: str = told("field-Sign-who", default="", longest=LONGEST_NAME)
    at: str | None = moment("field-Sign-at")


class Opening(Coded):
    """How far open the plate or damper stood when a setting was read."""

    PART = "part"
    WIDE_OPEN = "wide-open"
    DUCT_OFF = "duct-off"


class Trial(Identified):
    """One setting tried, and what was read on it: the flow itself, or what stands for it."""

    step: str = told("field-Trial-step", default="", longest=16)
    signal: Entry | None = asked("signal", "field-Trial-signal", "measured")
    frequency: Entry | None = asked("output_frequency", "field-Trial-frequency", "measured")
    tap: Literal[1, 2, 3, 4, 5, 6, 7, 8] | None = chosen("field-Trial-tap")
    opening: Opening | None = chosen("field-Trial-opening")
    airflow: Entry | None = asked("airflow", "field-Trial-airflow", "measured")
    water_flow: Entry | None = asked("water_flow", "field-Trial-water_flow", "measured")
    static: Entry | None = asked("pressure", "field-Trial-static", "measured")
    current: Entry | None = asked("current", "field-Trial-current", "measured")
    rise: Entry | None = asked("temperature_difference", "field-Trial-rise", "measured")
    source: str | None = told("field-Trial-source", longest=LONGEST_NAME)
    who: str | None = told("field-Trial-who", longest=LONGEST_NAME)
    at: str | None = moment("field-Trial-at")


class LoudMark(Identified):
    """A frequency that was loud, as heard or by a level."""

    frequency: Entry | None = asked("output_frequency", "field-LoudMark-frequency", "measured")
    level: Entry | None = asked("sound_level", "field-LoudMark-level", "measured")
    going: Literal["up", "down"] | None = chosen("field-LoudMark-going")
    who: str | None = told("field-LoudMark-who", longest=LONGEST_NAME)
    at: str | None = moment("field-LoudMark-at")


class Sweep(Sheet):
    """The noise sweep: from where to where, in which steps, and what was loud."""

    cleared: Literal["yes", "no"] | None = chosen("field-Sweep-cleared")
    low: Entry | None = asked("output_frequency", "field-Sweep-low", "typed")
    high: Entry | None = asked("output_frequency", "field-Sweep-high", "typed")
    step: Entry | None = asked("step_frequency", "field-Sweep-step", "typed")
    hold: Entry | None = asked("hold_time", "field-Sweep-hold", "typed")
    margin: Entry | None = asked("margin_frequency", "field-Sweep-margin", "typed")
    limit: Entry | None = asked("sound_level", "field-Sweep-limit", "typed")
    swept_up: Literal["yes", "no"] | None = chosen("field-Sweep-swept_up")
    swept_down: Literal["yes", "no"] | None = chosen("field-Sweep-swept_down")
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

    mode: ControlMode | None = chosen("field-DriveSettings-mode")
    shape: Literal["straight", "square"] | None = chosen("field-DriveSettings-shape")
    base_frequency: Entry | None = asked("output_frequency", "field-DriveSettings-base_frequency", "plate")
    base_voltage: Entry | None = asked("rated_voltage", "field-DriveSettings-base_voltage", "plate")
    trim: Entry | None = asked("volts_trim", "field-DriveSettings-trim", "typed")
    carrier: Entry | None = asked("carrier_frequency", "field-DriveSettings-carrier", "typed")
    lowest: Entry | None = asked("output_frequency", "field-DriveSettings-lowest", "typed")
    highest: Entry | None = asked("output_frequency", "field-DriveSettings-highest", "typed")
    ramp_up: Entry | None = asked("ramp", "field-DriveSettings-ramp_up", "typed")
    ramp_down: Entry | None = asked("ramp", "field-DriveSettings-ramp_down", "typed")
    new_current: Entry | None = asked("rated_current", "field-DriveSettings-new_current", "plate")
    new_speed: Entry | None = asked("rated_speed", "field-DriveSettings-new_speed", "plate")


class Setup(Sheet):
    """Everything that is said while the machine is set."""

    tolerance: Entry | None = asked("tolerance", "field-Setup-tolerance", "typed")
    first_volts: Entry | None = asked("voltage", "field-Setup-first_volts", "measured")
    second_volts: Entry | None = asked("voltage", "field-Setup-second_volts", "measured")
    voltage_selector: Entry | None = asked("rated_voltage", "field-Setup-voltage_selector", "plate")
    device: str | None = told("field-Setup-device", longest=LONGEST_NAME)
    panel: str | None = told("field-Setup-panel", longest=LONGEST_NAME)
    traits: Traits | None = Field(
        default=None, title=say("stations-setup-setup-traits"), description="Of the device, as its profile says them."
    )
    rotation_output: Literal["right", "wrong"] | None = chosen("field-Setup-rotation_output")
    rotation_bypass: BypassRotation | None = chosen("field-Setup-rotation_bypass")
    signs: tuple[Sign, ...] = Field(default=(), max_length=MOST_SIGNS)
    trials: tuple[Trial, ...] = Field(default=(), max_length=MOST_TRIALS)
    sweep: Sweep = Sweep()
    drive: DriveSettings = DriveSettings()
    loop: Loop = Loop()
