"""No plate, or none that can be read: what is asked then, and the leads as they were found."""

from __future__ import annotations

from enum import StrEnum
from typing import Literal

from modest_rotor.core.coded import Coded
from modest_rotor.core.entry import Entry
from modest_rotor.core.stations.sheet import Identified, Sheet, asked, chosen, told

YesNo = Literal["yes", "no"]
OHMS_HELP = "Every lead disconnected, capacitor off. Type OL where the meter shows none."


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

    colour: str | None = told("Colour", "As found, before anything is undone.", longest=30)
    function: LeadFunction | None = chosen("Function")
    ohms: Entry | None = asked("winding_resistance", "Ω to common", "measured", OHMS_HELP)
    volts: Entry | None = asked("voltage", "Volts", "measured", "To common, energised.")


class CallTap(Identified):
    """Which call energised which tap, as it was wired."""

    call: Mode | None = chosen("Call")
    tap: str | None = told("Tap or lead", "Its colour or number, as wired.", longest=30)
    volts: Entry | None = asked("command_voltage", "Command volts", "measured", "Tap to common, while called.")


class RelayKind(StrEnum):
    """How a start relay knows that the motor is up."""

    CURRENT = "current"
    POTENTIAL = "potential"
    SOLID_STATE = "solid-state"


class Identification(Sheet):
    """What the hands can find out of a motor that does not say what it is."""

    speed: Entry | None = asked("speed", "Speed measured", "measured", "Tachometer, on the supply's own hertz.")
    frequency: Entry | None = asked("frequency", "Hertz of the supply", "measured", "50 or 60 Hz.")
    loading: Loading | None = chosen(
        "How was it loaded?", "Lightly loaded: shaft bare, or the air shut off on a forward-curved wheel."
    )
    first_terminal: str | None = told("First terminal", "Its mark or colour.", longest=20)
    second_terminal: str | None = told("Second terminal", "Its mark or colour.", longest=20)
    third_terminal: str | None = told("Third terminal", "Its mark or colour.", longest=20)
    first_second: Entry | None = asked("winding_resistance", "First to second", "measured", OHMS_HELP)
    second_third: Entry | None = asked("winding_resistance", "Second to third", "measured", OHMS_HELP)
    third_first: Entry | None = asked("winding_resistance", "Third to first", "measured", OHMS_HELP)
    hermetic: YesNo | None = chosen(
        "Three pins in a sealed shell?", "Of a hermetic compressor or pump: its terminals can vent under pressure."
    )
    to_ground: Entry | None = asked(
        "ground_resistance", "Windings to ground", "measured", "Insulation tester, electronics unplugged. Type OL where it shows none."
    )  # fmt: skip
    run_capacitor: YesNo | None = chosen("Run capacitor?", "Metal can, oil filled, a few to some tens of µF.")
    start_capacitor: YesNo | None = chosen("Start capacitor?", "Black plastic can, some tens to hundreds of µF.")
    switch: YesNo | None = chosen("Centrifugal switch?", "Clicks as it slows down.")
    relay: YesNo | None = chosen("Start relay?", "Beside or on the motor: with a coil, or a solid block without one.")
    relay_kind: RelayKind | None = chosen(
        "Which relay?", "Thick coil: current. Thin coil, three numbered terminals: potential. No coil: solid-state."
    )
    equal_leads: YesNo | None = chosen(
        "Three equal leads?", "Same gauge, marked alike; or nine or twelve numbered ones."
    )
    module: YesNo | None = chosen("Control module?", "A finned or sealed can on the motor's end.")
    plug: YesNo | None = chosen("Low-voltage plug?", "A plug of thin wires beside that of the supply.")
    two_sets: YesNo | None = chosen("Two sets of three leads?", "Numbered 1 and 2: one set for each speed.")
    drive_fed: YesNo | None = chosen(
        "Marked for a drive alone?", "Its plate or label says that it runs on a drive only."
    )
    cogs: YesNo | None = chosen(
        "Does the shaft turn in notches?", "By hand, isolated, its leads apart from one another."
    )
    both_ends: YesNo | None = chosen("A shaft at both ends?", "With a wheel on each.")
    outer_rotor: YesNo | None = chosen("Does its outside turn?", "The wheel sits on the rotor, which lies outside.")
    analogue: YesNo | None = chosen("0-10 V command?", "Terminals or a plug marked 0-10 V or PWM.")
