"""Call: why are we here, and is this a duty that must not lose flow?"""

from __future__ import annotations

from pydantic import Field

from modest_rotor.core.coded import Coded
from modest_rotor.core.entry import Entry
from modest_rotor.core.physics.fan import Wheel
from modest_rotor.core.stations.identification import Mode
from modest_rotor.core.stations.sheet import LONGEST_NAME, Sheet, asked, chosen, told


class Reason(Coded):
    """What brought the technician."""

    DEAD = "dead"
    NOISY = "noisy"
    HOT = "hot"
    WEAK = "weak"
    COSTLY = "costly"
    PLANNED = "planned"


class Protected(Coded):
    """Duties whose flow a code authority or an appliance's listing decides."""

    NO = "no"
    GREASE = "grease"
    SMOKE = "smoke"
    HAZARD = "hazard"
    GARAGE = "garage"
    COMBUSTION = "combustion"
    OUTDOOR = "outdoor"
    REFRIGERANT = "refrigerant"
    ELECTRIC_HEAT = "electric-heat"


class Complaint(Coded):
    """What the people in the building notice."""

    WEAK_AIR = "weak-air"
    NOISE = "noise"
    SMELL = "smell"
    TRIPS = "trips"
    BILLS = "bills"
    TOO_HOT = "too-hot"
    TOO_COLD = "too-cold"
    LEAKS = "leaks"


class Call(Sheet):
    """What is asked on arrival."""

    reason: Reason | None = chosen("Why are we here?", "The first thing the people in the building said.")
    protected: Protected | None = chosen(
        "Is this a protected duty?", "If flow here is set by a code or a listing, no lower flow is proposed."
    )
    who_was_asked: str | None = told("Who was asked", "Name or role of whoever answered for the protected duty.")
    minimum_airflow: Entry | None = asked(
        "airflow",
        "Documented least airflow",
        "typed",
        "From the approval, the listing or the design; empty if none is recorded.",
    )
    minimum_water_flow: Entry | None = asked(
        "water_flow", "Documented least water flow", "typed", "From the appliance's data; empty if none is recorded."
    )
    complaints: tuple[Complaint, ...] = Field(
        default=(),
        title="What do the people here notice?",
        description="All that they name.",
        max_length=len(Complaint),
    )
    notes: str | None = told("In their words")
    serves: str | None = told("What the machine serves", "Rooms, circuit or process.", longest=LONGEST_NAME)
    called_by: Mode | None = chosen("Which call runs it?", "The one it mostly runs on.")
    not_interrupted: str | None = told(
        "What may not be interrupted",
        "And from when to when; nothing is switched off without asking.",
        longest=LONGEST_NAME,
    )
    serial: str | None = told("Serial", "As text, off the motor that will be removed.", longest=60)
    date_code: str | None = told("Date code", "As text.", longest=60)
    part_number: str | None = told("Part number", "As text.", longest=60)

    @property
    def is_protected(self) -> bool:
        """Whether the flow is protected; an unanswered question is not a yes, and the rail says it is unanswered."""
        return self.protected not in (None, Protected.NO)

    def minimum_flow(self, wheel: Wheel | None) -> Entry | None:
        """The documented least flow of what the wheel moves."""
        return self.minimum_water_flow if wheel is Wheel.PUMP else self.minimum_airflow

    @property
    def is_dead(self) -> bool:
        """Whether running readings cannot be had."""
        return self.reason is Reason.DEAD
