"""What is asked once of the place, before anything new is fitted there."""

from __future__ import annotations

from typing import Literal

from modest_rotor.core.coded import Coded
from modest_rotor.core.entry import Entry
from modest_rotor.core.stations.product import CommandKind, Mounting, YesNo
from modest_rotor.core.stations.sheet import LONGEST_NAME, Sheet, asked, chosen, told


class Attitude(Coded):
    """How a shaft lies."""

    HORIZONTAL = "horizontal"
    SHAFT_UP = "shaft-up"
    SHAFT_DOWN = "shaft-down"


class Fitting(Sheet):
    """The machine's place: its supply, what commands it, how the motor sits, who was asked."""

    phases: Literal[1, 3] | None = chosen("field-Fitting-phases")
    permanent_supply: YesNo | None = chosen("field-Fitting-permanent_supply")
    command: CommandKind | None = chosen("field-Fitting-command")
    mounting: Mounting | None = chosen("field-Fitting-mounting")
    bore: Entry | None = asked("dimension", "field-Fitting-bore", "measured")
    shaft_needed: Entry | None = asked("dimension", "field-Fitting-shaft_needed", "measured")
    keyway: YesNo | None = chosen("field-Fitting-keyway")
    attitude: Attitude | None = chosen("field-Fitting-attitude")
    outdoors: YesNo | None = chosen("field-Fitting-outdoors")
    in_air: YesNo | None = chosen("field-Fitting-in_air")
    altitude: Entry | None = asked("altitude", "field-Fitting-altitude", "estimated")
    highest_speed: Entry | None = asked("speed", "field-Fitting-highest_speed", "plate")
    several: YesNo | None = chosen("field-Fitting-several")
    lead_length: Entry | None = asked("cable_length", "field-Fitting-lead_length", "measured")
    earth_leakage: Literal["none", "AC", "A", "F", "B"] | None = chosen("field-Fitting-earth_leakage")
    start_switch: YesNo | None = chosen("field-Fitting-start_switch")
    motor_maker_agrees: YesNo | None = chosen("field-Fitting-motor_maker_agrees")
    drive_maker_agrees: YesNo | None = chosen("field-Fitting-drive_maker_agrees")
    approvals: str | None = told("field-Fitting-approvals", longest=LONGEST_NAME)
    listing_allows: YesNo | None = chosen("field-Fitting-listing_allows")
    code_letter: str | None = told("field-Fitting-code_letter", longest=2)
