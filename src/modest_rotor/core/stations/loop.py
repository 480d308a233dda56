"""A closed loop on Set-up: what is held, where its sensor sits, how the value followed a step, and what was seen of it."""

from __future__ import annotations

from pydantic import Field

from modest_rotor.core.coded import Coded
from modest_rotor.core.entry import Entry
from modest_rotor.core.stations.sheet import LONGEST_NAME, Identified, Sheet, asked, chosen, moment, told

MOST_TRIES = 30
SET_POINT, RANGE = "Set point", "The sensor's range"
RANGE_HELP = "From its lowest to its highest reading: what stands for 0 and 100 %."
BEFORE, AFTER = "Value before the step", "Value when it stands again"


class Restart(Coded):
    """What a loop does after a power cut."""

    BY_ITSELF = "by-itself"
    BY_HAND = "by-hand"


class MoreSpeed(Coded):
    """What more speed does to the value that is held."""

    RAISES = "raises"
    LOWERS = "lowers"


class Holds(Coded):
    """What a loop holds."""

    DUCT = "duct"
    DIFFERENTIAL = "differential"
    COIL = "coil"
    LEVEL = "level"
    SPACE = "space"


class SensorPlace(Coded):
    """Where the sensor of a pressure sits."""

    UNIT = "unit"
    TWO_THIRDS = "two-thirds"
    FARTHEST = "farthest"


class OnFailure(Coded):
    """What it does when its sensor fails."""

    STAYS = "stays"
    SET_SPEED = "set-speed"
    STOPS = "stops"


class SeenSwing(Coded):
    """What was seen after the set point was moved."""

    QUIET = "quiet"
    DIES_AWAY = "dies-away"
    LIVELY = "lively"
    HUNTS = "hunts"
    SLOW = "slow"


class PressureValues(Sheet):
    """Of a duct's static."""

    set_point: Entry | None = asked("pressure", SET_POINT, "typed")
    span: Entry | None = asked("pressure", RANGE, "plate", RANGE_HELP)
    before: Entry | None = asked("pressure", BEFORE, "measured")
    after: Entry | None = asked("pressure", AFTER, "measured")


class DifferentialValues(Sheet):
    """Of a pump's differential."""

    set_point: Entry | None = asked("pump_differential", SET_POINT, "typed")
    span: Entry | None = asked("pump_differential", RANGE, "plate", RANGE_HELP)
    before: Entry | None = asked("pump_differential", BEFORE, "measured")
    after: Entry | None = asked("pump_differential", AFTER, "measured")


class DifferenceValues(Sheet):
    """Of a coil's temperature difference."""

    set_point: Entry | None = asked("temperature_difference", SET_POINT, "typed")
    span: Entry | None = asked("temperature_difference", RANGE, "plate", RANGE_HELP)
    before: Entry | None = asked("temperature_difference", BEFORE, "measured")
    after: Entry | None = asked("temperature_difference", AFTER, "measured")


class LevelValues(Sheet):
    """Of a level."""

    set_point: Entry | None = asked("level", SET_POINT, "typed")
    span: Entry | None = asked("level", RANGE, "plate", RANGE_HELP)
    before: Entry | None = asked("level", BEFORE, "measured")
    after: Entry | None = asked("level", AFTER, "measured")


class TemperatureValues(Sheet):
    """Of a space."""

    set_point: Entry | None = asked("temperature", SET_POINT, "typed")
    span: Entry | None = asked("temperature_difference", RANGE, "plate", RANGE_HELP)
    before: Entry | None = asked("temperature", BEFORE, "measured")
    after: Entry | None = asked("temperature", AFTER, "measured")


Values = PressureValues | DifferentialValues | DifferenceValues | LevelValues | TemperatureValues


class LoopTry(Identified):
    """Gains as they were set once, and what was then seen."""

    gain: Entry | None = asked("loop_gain", "Gain as set", "typed", "% of full command for each % of the range.")
    integral: Entry | None = asked("loop_time", "Integral time as set", "typed")
    seen: SeenSwing | None = chosen("What was seen", "Move the set point by a tenth of the range, and watch.")
    period: Entry | None = asked("loop_time", "One whole swing takes", "measured", "From top to top.")
    who: str | None = told("Who", longest=LONGEST_NAME)
    at: str | None = moment("When")


class Loop(Sheet):
    """A loop as it is set. The values of the kind that is held count; those of another stay as typed."""

    holds: Holds | None = chosen("What is it to hold?", "Nothing where each step has its own speed.")
    raises: MoreSpeed | None = chosen("More speed", "Where the kind does not settle it.")
    place: SensorPlace | None = chosen("The sensor sits", "The nearer to the unit, the less it saves at part flow.")
    left: Entry | None = asked(
        "pressure_left",
        "Pressure at the sensor",
        "measured",
        "Share of the total external static, read at once at full flow.",
    )
    tank_area: Entry | None = asked("tank_area", "Surface of the tank", "measured")
    pressure: PressureValues = PressureValues()
    differential: DifferentialValues = DifferentialValues()
    difference: DifferenceValues = DifferenceValues()
    level: LevelValues = LevelValues()
    temperature: TemperatureValues = TemperatureValues()
    hertz_before: Entry | None = asked("output_frequency", "Hertz before the step", "measured")
    hertz_after: Entry | None = asked("output_frequency", "Hertz after it", "measured")
    signal_before: Entry | None = asked("signal", "Command before the step", "measured")
    signal_after: Entry | None = asked("signal", "Command after it", "measured")
    began: Entry | None = asked("loop_time", "It began to move after", "measured", "From the step of the command.")
    two_thirds: Entry | None = asked("loop_time", "Two thirds of its way after", "measured", "From the same instant.")
    tries: tuple[LoopTry, ...] = Field(default=(), max_length=MOST_TRIES)
    on_failure: OnFailure | None = chosen("When the sensor fails it", "Pull its wire, and see.")
    restart: Restart | None = chosen("After a power cut it")
