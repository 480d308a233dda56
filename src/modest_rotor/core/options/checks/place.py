"""What a fit check is given, and what it gives."""

from __future__ import annotations

from dataclasses import dataclass

from pydantic import Field

from modest_rotor.core.coded import Coded
from modest_rotor.core.options.contract import Option, SolvedStep
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.traits import SetBy, Traits
from modest_rotor.core.phrase import Frozen, Phrase
from modest_rotor.core.stations.fitting import Fitting
from modest_rotor.core.stations.nameplate import Nameplate
from modest_rotor.core.stations.options import Candidate, Waiver
from modest_rotor.core.stations.product import Product
from modest_rotor.core.tables import find_row


class Fits(Coded):
    """What a check says."""

    YES = "fits"
    WORK = "work"
    CANNOT = "cannot"
    UNKNOWN = "unknown"


class FitCheck(Frozen):
    """One check: what was asked, what it says and on what, and who answers for it where it is a stop."""

    check: str
    question: str
    fits: Fits
    sentence: Phrase
    path: str | None = Field(default=None, description="the field that answers it, where it is not known yet")
    source: str
    waived_by: Waiver | None = None
    can_be_waived: bool = True

    @property
    def stops(self) -> bool:
        """Whether it withholds every number of the option."""
        return self.fits is Fits.CANNOT and self.waived_by is None


@dataclass(frozen=True)
class Place:
    """An option at its machine; ``steps`` are empty while nothing is solved yet."""

    option: Option
    candidate: Candidate
    plate: Nameplate
    fitting: Fitting
    found: FoundMachine
    least_volts_v: float | None
    steps: tuple[SolvedStep, ...] = ()

    @property
    def traits(self) -> Traits:
        """What its kind is."""
        return self.option.traits

    @property
    def product(self) -> Product | None:
        """The product, where one is named."""
        return self.candidate.product

    @property
    def new_on_drive(self) -> bool:
        """Whether a new motor comes with the drive."""
        return self.traits.set_by is SetBy.DRIVE and self.brings_motor

    @property
    def brings_motor(self) -> bool:
        """Whether another motor goes on the shaft of today."""
        return self.traits.brings_motor(self.product, self.found.plate.kind)

    @property
    def rated_power_w(self) -> float | None:
        """Rated power of the motor that would do the work."""
        product = self.product
        own = product.rated_power.si if product and product.rated_power else None
        return own or self.found.plate.rated_power_w


def check(name: str, fits: Fits, sentence: Phrase, path: str | None = None) -> FitCheck:
    """What a check says, its question and source taken from the table."""
    row = find_row("fit_checks", check=name)
    return FitCheck(
        check=name,
        question=row["question"],
        fits=fits,
        sentence=sentence,
        path=path,
        source=row["source"],
        can_be_waived=row["waived"] == "person",
    )
