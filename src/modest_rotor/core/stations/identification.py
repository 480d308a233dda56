"""No plate, or none that can be read: what is asked then, and the leads as they were found."""

from __future__ import annotations

from enum import StrEnum
from typing import Literal

from modest_rotor.core.coded import Coded
from modest_rotor.core.entry import Entry
from modest_rotor.core.say import say
from modest_rotor.core.stations.sheet import Identified, Sheet, asked, chosen, told

YesNo = Literal["yes", "no"]
OHMS_HELP = say("identification-ohms-help")


class Loading(Coded):
    """How a motor was loaded when its speed was read."""

    LIGHTLY = "lightly"
    LOADED = "loaded"


class LeadFunction(Coded):
    """What a lead is for."""

    COMMON = "common"
    HIGH = "high"
    MEDIUM_HIGH = "medium-high"
    MEDIUM = "medium"
    MEDIUM_LOW = "medium-low"
    LOW = "low"
    CAPACITOR = "capacitor"
    START = "start"
    RUN = "run"
    LINE = "line"
    NEUTRAL = "neutral"
    PHASE = "phase"
    GROUND = "ground"
    COMMAND = "command"
    UNUSED = "unused"


SPEED_LEADS = (
    LeadFunction.HIGH,
    LeadFunction.MEDIUM_HIGH,
    LeadFunction.MEDIUM,
    LeadFunction.MEDIUM_LOW,
    LeadFunction.LOW,
)


class Mode(StrEnum):
    """What calls the machine to run."""

    HEAT = "heat"
    COOL = "cool"
    CIRCULATE = "circulate"
    DEHUMIDIFY = "dehumidify"
    SCHEDULE = "schedule"
    LEVEL = "level"
    PRESSURE = "pressure"


class Lead(Identified):
    """One lead, as it was found."""

    colour: str | None = told("field-Lead-colour", longest=30)
    function: LeadFunction | None = chosen("field-Lead-function")
    ohms: Entry | None = asked("winding_resistance", "field-Lead-ohms", "measured", help_text=OHMS_HELP)
    volts: Entry | None = asked("voltage", "field-Lead-volts", "measured")


class CallTap(Identified):
    """Which call energised which tap, as it was wired."""

    call: Mode | None = chosen("field-CallTap-call")
    tap: str | None = told("field-CallTap-tap", longest=30)
    volts: Entry | None = asked("command_voltage", "field-CallTap-volts", "measured")


class RelayKind(Coded):
    """How a start relay knows that the motor is up."""

    CURRENT = "current"
    POTENTIAL = "potential"
    SOLID_STATE = "solid-state"


class Identification(Sheet):
    """What the hands can find out of a motor that does not say what it is."""

    speed: Entry | None = asked("speed", "field-Identification-speed", "measured")
    frequency: Entry | None = asked("frequency", "field-Identification-frequency", "measured")
    loading: Loading | None = chosen("field-Identification-loading")
    first_terminal: str | None = told("field-Identification-first_terminal", longest=20)
    second_terminal: str | None = told("field-Identification-second_terminal", longest=20)
    third_terminal: str | None = told("field-Identification-third_terminal", longest=20)
    first_second: Entry | None = asked(
        "winding_resistance", "field-Identification-first_second", "measured", help_text=OHMS_HELP
    )
    second_third: Entry | None = asked(
        "winding_resistance", "field-Identification-second_third", "measured", help_text=OHMS_HELP
    )
    third_first: Entry | None = asked(
        "winding_resistance", "field-Identification-third_first", "measured", help_text=OHMS_HELP
    )
    hermetic: YesNo | None = chosen("field-Identification-hermetic")
    to_ground: Entry | None = asked("ground_resistance", "field-Identification-to_ground", "measured")  # fmt: skip
    run_capacitor: YesNo | None = chosen("field-Identification-run_capacitor")
    start_capacitor: YesNo | None = chosen("field-Identification-start_capacitor")
    switch: YesNo | None = chosen("field-Identification-switch")
    relay: YesNo | None = chosen("field-Identification-relay")
    relay_kind: RelayKind | None = chosen("field-Identification-relay_kind")
    equal_leads: YesNo | None = chosen("field-Identification-equal_leads")
    module: YesNo | None = chosen("field-Identification-module")
    plug: YesNo | None = chosen("field-Identification-plug")
    two_sets: YesNo | None = chosen("field-Identification-two_sets")
    drive_fed: YesNo | None = chosen("field-Identification-drive_fed")
    cogs: YesNo | None = chosen("field-Identification-cogs")
    both_ends: YesNo | None = chosen("field-Identification-both_ends")
    outer_rotor: YesNo | None = chosen("field-Identification-outer_rotor")
    analogue: YesNo | None = chosen("field-Identification-analogue")
