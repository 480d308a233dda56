"""Everything the technician said: the open format of a job, and what the database keeps."""

from __future__ import annotations

from enum import StrEnum
from typing import Any, Literal

from pydantic import Field, model_validator

from modest_rotor.core.numerals import NumberStyle
from modest_rotor.core.physics.fan import MachineType
from modest_rotor.core.quantities import UnitSystem
from modest_rotor.core.say import say
from modest_rotor.core.stations.call import Call
from modest_rotor.core.stations.charts import Charts
from modest_rotor.core.stations.decision import Decision
from modest_rotor.core.stations.duty import Duty
from modest_rotor.core.stations.findings import Checks, Mark
from modest_rotor.core.stations.identification import CallTap, Identification, Lead
from modest_rotor.core.stations.meters import Meters
from modest_rotor.core.stations.nameplate import Nameplate
from modest_rotor.core.stations.options import OptionCosts
from modest_rotor.core.stations.proof import Proof
from modest_rotor.core.stations.readings import ReadingSet, Stage
from modest_rotor.core.stations.setup import Setup
from modest_rotor.core.stations.sheet import LONGEST_NAME, Sheet, chosen, told
from modest_rotor.core.stations.target import Target
from modest_rotor.core.upgrades import NEWEST, upgraded

FORMAT_NAME: Literal["modest-rotor job"] = "modest-rotor job"
FORMAT_VERSION: Literal[3] = NEWEST
LONGEST_CONTACT = 300
MOST_SETS, MOST_LEADS, MOST_MARKS = 60, 16, 500


class Station(StrEnum):
    """The stations of the route, in the order of the work."""

    CALL = "call"
    PLATE = "plate"
    READINGS = "readings"
    FINDINGS = "findings"
    DUTY = "duty"
    OPTIONS = "options"
    DECISION = "decision"
    SETUP = "setup"
    PROOF = "proof"
    LOG = "log"


class Site(Sheet):
    """A place with machines."""

    name: str = Field(min_length=1, max_length=LONGEST_NAME)
    units: UnitSystem = "si"
    currency: str | None = Field(default=None, pattern=r"^[A-Z]{3}$")
    numbers: NumberStyle | None = Field(default=None, description="how numbers are written here, where that was said")
    customer: str | None = told("field-Site-customer", longest=LONGEST_NAME)
    contact: str | None = told("field-Site-contact", longest=LONGEST_CONTACT)
    address: str | None = told("field-Site-address", longest=LONGEST_CONTACT)

    def style_of(self, units: UnitSystem) -> NumberStyle | None:
        """How numbers are written here: as was said, else by units of the Americas; nothing where neither tells.

        :param units: those of whoever types.
        """
        return self.numbers or (NumberStyle.POINT if "ip" in (units, self.units) else None)


class Machine(Sheet):
    """The fan or pump that the motor drives; it outlives jobs and motors."""

    name: str = Field(title=say("label-machine"), min_length=1, max_length=LONGEST_NAME)
    place: str | None = told("field-Machine-place", longest=LONGEST_NAME)
    type: MachineType | None = chosen("field-Machine-type")


class JobDocument(Sheet):
    """What is said of one job, apart from the machine and the site it belongs to."""

    call: Call = Call()
    nameplate: Nameplate = Nameplate()
    identification: Identification = Identification()
    leads: tuple[Lead, ...] = Field(default=(), max_length=MOST_LEADS)
    call_taps: tuple[CallTap, ...] = Field(default=(), max_length=MOST_LEADS)
    meters: Meters = Meters()
    charts: Charts = Charts()
    target: Target = Target()
    readings: tuple[ReadingSet, ...] = Field(default=(), max_length=MOST_SETS)
    checks: Checks = Checks()
    marks: tuple[Mark, ...] = Field(default=(), max_length=MOST_MARKS)
    duty: Duty = Duty()
    options: OptionCosts = OptionCosts()
    decision: Decision = Decision()
    setup: Setup = Setup()
    proof: Proof = Proof()

    @model_validator(mode="after")
    def _items_are_distinct(self) -> JobDocument:
        for items in (
            self.readings,
            self.duty.steps,
            self.leads,
            self.call_taps,
            self.marks,
            self.options.candidates,
            self.options.waivers,
            self.decision.approvals,
            self.setup.signs,
            self.setup.trials,
            self.setup.sweep.marks,
            self.proof.pairs,
        ):
            names = [item.id for item in items]
            if len(names) != len(set(names)):
                raise ValueError(say("job-id-twice"))
        return self

    @property
    def nameplate_as_fed(self) -> Nameplate:
        """The plate in the connection that the volts read ask for, where nobody said which one is wired."""
        read = next((one.voltage for one in self.before if one.voltage is not None), None)
        return self.nameplate.as_fed(read.si if read else None)

    @property
    def before(self) -> tuple[ReadingSet, ...]:
        """The sets read on the machine as it was found, with the motor that was in it."""
        return tuple(reading for reading in self.readings if reading.stage is not Stage.AFTER)

    @property
    def after(self) -> tuple[ReadingSet, ...]:
        """The sets read once the machine was set up anew."""
        return tuple(reading for reading in self.readings if reading.stage is Stage.AFTER)


class Job(Sheet):
    """A whole job: the file that goes in and out."""

    format: Literal["modest-rotor job"] = FORMAT_NAME
    version: Literal[3] = FORMAT_VERSION
    site: Site
    machine: Machine
    document: JobDocument = JobDocument()

    @model_validator(mode="before")
    @classmethod
    def _of_any_version(cls, data: Any) -> Any:
        return upgraded(data) if isinstance(data, dict) else data

    @property
    def currency(self) -> str | None:
        """The job's currency, or else the site's."""
        return self.document.duty.currency or self.site.currency
