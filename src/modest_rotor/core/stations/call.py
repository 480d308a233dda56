"""Call: why are we here, and is this a duty that must not lose flow?"""

from __future__ import annotations

from pydantic import Field

from modest_rotor.core.coded import Coded
from modest_rotor.core.entry import Entry
from modest_rotor.core.physics.fan import MachineType
from modest_rotor.core.say import say
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

    reason: Reason | None = chosen("field-Call-reason")
    protected: Protected | None = chosen("field-Call-protected")
    who_was_asked: str | None = told("field-Call-who_was_asked")
    minimum_airflow: Entry | None = asked("airflow", "field-Call-minimum_airflow", "typed")
    minimum_water_flow: Entry | None = asked("water_flow", "field-Call-minimum_water_flow", "typed")
    complaints: tuple[Complaint, ...] = Field(
        default=(), title=say("call-complaints"), description=say("call-complaints-help"), max_length=len(Complaint)
    )
    notes: str | None = told("field-Call-notes")
    serves: str | None = told("field-Call-serves", longest=LONGEST_NAME)
    called_by: Mode | None = chosen("field-Call-called_by")
    not_interrupted: str | None = told("field-Call-not_interrupted", longest=LONGEST_NAME)
    serial: str | None = told("field-Call-serial", longest=60)
    date_code: str | None = told("field-Call-date_code", longest=60)
    part_number: str | None = told("field-Call-part_number", longest=60)

    @property
    def is_protected(self) -> bool:
        """Whether the flow is protected; an unanswered question is not a yes, and the rail says it is unanswered."""
        return self.protected not in (None, Protected.NO)

    def minimum_flow(self, machine_type: MachineType | None) -> Entry | None:
        """The documented least flow of what the wheel moves."""
        return self.minimum_water_flow if machine_type is MachineType.PUMP else self.minimum_airflow

    @property
    def is_dead(self) -> bool:
        """Whether running readings cannot be had."""
        return self.reason is Reason.DEAD
