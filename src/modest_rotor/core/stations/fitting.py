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

    phases: Literal[1, 3] | None = chosen("Phases at the machine", "Counted at the isolator, not off the plate.")
    permanent_supply: YesNo | None = chosen(
        "Is there a permanent supply?", "Line volts that no thermostat or relay switches."
    )
    command: CommandKind | None = chosen("What commands it?", "Calls, a signal, a dial, or the line being switched.")
    mounting: Mounting | None = chosen("How is the motor held?")
    bore: Entry | None = asked("dimension", "Bore of wheel or coupling", "measured")
    shaft_needed: Entry | None = asked("dimension", "Shaft length needed", "measured")
    keyway: YesNo | None = chosen("Keyway in the hub?", "A set screw on a flat counts as none.")
    attitude: Attitude | None = chosen("How does the shaft lie?")
    outdoors: YesNo | None = chosen("Outdoors or wet?", "Then a rain shield, and the lowest drain open.")
    in_air: YesNo | None = chosen("In the machine's air?", "Air over the motor while it runs.")
    altitude: Entry | None = asked("altitude", "Altitude", "estimated", "Motors are rated to 1,000 m.")
    highest_speed: Entry | None = asked("speed", "Highest speed of wheel and bearings", "plate")
    several: YesNo | None = chosen("Several motors on one controller?", "Each then needs an overload of its own.")
    lead_length: Entry | None = asked("cable_length", "Cable, drive to motor", "measured")
    earth_leakage: Literal["none", "AC", "A", "F", "B"] | None = chosen(
        "Earth-leakage device", "Its type, on its front."
    )
    start_switch: YesNo | None = chosen("Has the motor a start switch?", "A click as it runs up or down.")
    motor_maker_agrees: YesNo | None = chosen(
        "Does the motor's maker approve a drive?", "In writing. Seen working is not approval."
    )
    drive_maker_agrees: YesNo | None = chosen(
        "Does the drive's maker approve this motor?", "In writing. Seen working is not approval."
    )
    approvals: str | None = told("Approvals, where kept", longest=LONGEST_NAME)
    listing_allows: YesNo | None = chosen(
        "Does the appliance's listing allow another kind?", "Ask its maker; local code decides as well."
    )
    code_letter: str | None = told("Code letter that the controller was chosen for", longest=2)
