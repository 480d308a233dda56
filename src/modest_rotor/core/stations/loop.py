"""A closed loop on Set-up: what is held, where its sensor sits, how the value followed a step, and what was seen of it."""

from __future__ import annotations

from pydantic import Field

from modest_rotor.core.coded import Coded
from modest_rotor.core.entry import Entry
from modest_rotor.core.stations.sheet import LONGEST_NAME, Identified, Sheet, asked, chosen, moment, told

MOST_TRIES = 30
SET_POINT, RANGE = "field-loop-set-point", "field-loop-range"
BEFORE, AFTER = "field-loop-before", "field-loop-after"


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
    span: Entry | None = asked("pressure", RANGE, "plate")
    before: Entry | None = asked("pressure", BEFORE, "measured")
    after: Entry | None = asked("pressure", AFTER, "measured")


class DifferentialValues(Sheet):
    """Of a pump's differential."""

    set_point: Entry | None = asked("pump_differential", SET_POINT, "typed")
    span: Entry | None = asked("pump_differential", RANGE, "plate")
    before: Entry | None = asked("pump_differential", BEFORE, "measured")
    after: Entry | None = asked("pump_differential", AFTER, "measured")


class DifferenceValues(Sheet):
    """Of a coil's temperature difference."""

    set_point: Entry | None = asked("temperature_difference", SET_POINT, "typed")
    span: Entry | None = asked("temperature_difference", RANGE, "plate")
    before: Entry | None = asked("temperature_difference", BEFORE, "measured")
    after: Entry | None = asked("temperature_difference", AFTER, "measured")


class LevelValues(Sheet):
    """Of a level."""

    set_point: Entry | None = asked("level", SET_POINT, "typed")
    span: Entry | None = asked("level", RANGE, "plate")
    before: Entry | None = asked("level", BEFORE, "measured")
    after: Entry | None = asked("level", AFTER, "measured")


class TemperatureValues(Sheet):
    """Of a space."""

    set_point: Entry | None = asked("temperature", SET_POINT, "typed")
    span: Entry | None = asked("temperature_difference", RANGE, "plate")
    before: Entry | None = asked("temperature", BEFORE, "measured")
    after: Entry | None = asked("temperature", AFTER, "measured")


Values = PressureValues | DifferentialValues | DifferenceValues | LevelValues | TemperatureValues


class LoopTry(Identified):
    """Gains as they were set once, and what was then seen."""

    gain: Entry | None = asked("loop_gain", "field-LoopTry-gain", "typed")
    integral: Entry | None = asked("loop_time", "field-LoopTry-integral", "typed")
    seen: SeenSwing | None = chosen("field-LoopTry-seen")
    period: Entry | None = asked("loop_time", "field-LoopTry-period", "measured")
    who: str | None = told("field-LoopTry-who", longest=LONGEST_NAME)
    at: str | None = moment("field-LoopTry-at")


class Loop(Sheet):
    """A loop as it is set. The values of the kind that is held count; those of another stay as typed."""

    holds: Holds | None = chosen("field-Loop-holds")
    raises: MoreSpeed | None = chosen("field-Loop-raises")
    place: SensorPlace | None = chosen("field-Loop-place")
    left: Entry | None = asked("pressure_left", "field-Loop-left", "measured")
    tank_area: Entry | None = asked("tank_area", "field-Loop-tank_area", "measured")
    pressure: PressureValues = PressureValues()
    differential: DifferentialValues = DifferentialValues()
    difference: DifferenceValues = DifferenceValues()
    level: LevelValues = LevelValues()
    temperature: TemperatureValues = TemperatureValues()
    hertz_before: Entry | None = asked("output_frequency", "field-Loop-hertz_before", "measured")
    hertz_after: Entry | None = asked("output_frequency", "field-Loop-hertz_after", "measured")
    signal_before: Entry | None = asked("signal", "field-Loop-signal_before", "measured")
    signal_after: Entry | None = asked("signal", "field-Loop-signal_after", "measured")
    began: Entry | None = asked("loop_time", "field-Loop-began", "measured")
    two_thirds: Entry | None = asked("loop_time", "field-Loop-two_thirds", "measured")
    tries: tuple[LoopTry, ...] = Field(default=(), max_length=MOST_TRIES)
    on_failure: OnFailure | None = chosen("field-Loop-on_failure")
    restart: Restart | None = chosen("field-Loop-restart")
