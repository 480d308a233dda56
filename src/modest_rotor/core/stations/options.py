"""Options: which replacements are considered, what they cost, and how money is reckoned over the years."""

from __future__ import annotations

from typing import Any

from pydantic import Field, model_validator

from modest_rotor.core.coded import Coded
from modest_rotor.core.entry import Entry
from modest_rotor.core.stations.fitting import Fitting
from modest_rotor.core.stations.product import Product
from modest_rotor.core.stations.sheet import LONGEST_NAME, Identified, Sheet, asked, chosen, moment, told
from modest_rotor.core.stations.statement import Statement

MOST_CONSIDERED, MOST_WAIVERS = 14, 40


class Regulating(Coded):
    """How a regulator lowers the volts."""

    PHASE_CUT = "phase-cut"
    SERIES = "series"
    LOWER_VOLTS = "lower-volts"


class OptionKind(Coded):
    """The kinds of option."""

    KEEP = "keep"
    SAME_KIND = "same-kind"
    OTHER_TAP = "other-tap"
    REGULATOR = "regulator"
    CAPACITOR_DRIVE = "capacitor-drive"
    TORQUE = "torque"
    AIRFLOW = "airflow"
    ELECTRONIC = "electronic"
    ONE_SPEED = "one-speed"
    EC_FAN = "ec-fan"
    DRIVE = "drive"
    RELUCTANCE = "reluctance"
    STAGED = "staged"
    SLOWED = "slowed"
    RESHEAVE = "resheave"
    TRIM = "trim"
    THROTTLE_OUT = "throttle-out"
    CIRCULATOR_SPEED = "circulator-speed"
    CIRCULATOR_CONSTANT = "circulator-constant"
    CIRCULATOR_PROPORTIONAL = "circulator-proportional"


class Repair(Coded):
    """What is put right on the machine before anything is replaced."""

    CAPACITOR = "capacitor"
    WHEEL = "wheel"
    FILTER = "filter"
    BELT = "belt"


class Considered(Identified):
    """One replacement that is considered; its product is a copy, so that the job stands by itself."""

    kind: OptionKind = Field(default=OptionKind.ELECTRONIC, title="Kind of option")
    name: str | None = told("Called", "Where several are of one kind.", longest=LONGEST_NAME)
    product: Product | None = Field(default=None, title="Product")
    price: Entry | None = asked(
        "cost", "Price", "estimated", "Equipment; the whole cost fitted where labour is left empty."
    )
    labour: Entry | None = asked("cost", "Labour", "estimated", "Fitting, set-up, travel, disposal.")
    rebate: Entry | None = asked("cost", "Rebate", "typed", "What somebody else pays back.")
    life: Entry | None = asked("life", "Life", "estimated", "Years it is expected to last.")
    lead_time: Entry | None = asked("lead_time", "Lead time", "estimated", "Days until it can be here.")
    wears: str | None = told("What wears", longest=LONGEST_NAME)
    tap: str | None = told("Tap", "The tap that it would run on.", longest=30)
    regulator: Regulating | None = chosen("How the volts are lowered")
    speed_share: Entry | None = asked(
        "speed_share", "Wheel's speed", "estimated", "Against today's; empty: just enough."
    )
    diameter_share: Entry | None = asked(
        "diameter_share", "Impeller's diameter", "estimated", "Against today's; empty: just enough."
    )
    throttle_drop: Entry | None = asked(
        "throttle_drop", "Pressure at the throttle", "measured", "Lost there at full flow."
    )
    set_pressure: Entry | None = asked(
        "pump_differential", "Pressure that is set", "typed", "Empty: today's at full flow."
    )

    @property
    def technical(self) -> Considered:
        """The same without its price, its name and whatever else moves no point at which it runs."""
        return self.model_copy(update=dict.fromkeys(NOT_TECHNICAL))


NOT_TECHNICAL = ("price", "labour", "rebate", "life", "lead_time", "wears", "name")


class Waiver(Statement):
    """A stop that somebody answers for: which, who, and why."""

    option: str = Field(default="", max_length=16, title="Option")
    check: str = Field(default="", max_length=40, title="Check")
    who: str = told("Who answers for it", default="", longest=LONGEST_NAME)
    reason: str = told("Why", default="", longest=400)
    at: str | None = moment("When")


USUAL = (
    Considered(id="same", kind=OptionKind.SAME_KIND),
    Considered(id="electronic", kind=OptionKind.ELECTRONIC),
    Considered(id="drive", kind=OptionKind.DRIVE),
)
"""What a new job begins with, and what is looked at first; more are added, any is removed. Common practice, no source."""
OLD_COSTS = {"same_kind_cost": "same", "electronic_cost": "electronic", "drive_cost": "drive"}


class OptionCosts(Sheet):
    """What is considered, what is put right first, and how money is reckoned."""

    considered: tuple[Considered, ...] = Field(default=USUAL, max_length=MOST_CONSIDERED)
    waivers: tuple[Waiver, ...] = Field(default=(), max_length=MOST_WAIVERS)
    fitting: Fitting = Fitting()
    repairs: tuple[Repair, ...] = Field(
        default=(),
        title="Put right first",
        description="What Findings say; every saving is against the machine put right.",
        max_length=len(Repair),
    )
    filter_excess: Entry | None = asked(
        "pressure",
        "Filter's drop over a clean one's",
        "measured",
        "What a clean filter gives back at this flow.",
    )
    wheel_loss: Entry | None = asked(
        "share_of_hours", "Pressure lost by the fouled wheel", "estimated", "A fifth is taken where nothing is said."
    )
    repair_cost: Entry | None = asked("cost", "Putting right costs", "estimated", "Shown on its own line.")
    tightness: Entry | None = asked(
        "tightness", "System resistance factor", "estimated", "100 % as found; 140 % with a loaded filter."
    )
    loaded_static: Entry | None = asked(
        "pressure", "At which static?", "estimated", "What each option moves and draws against it, in place of today's."
    )
    discount_rate: Entry | None = asked("discount_rate", "Discount rate", "typed", "5 % where nothing is said.")
    escalation: Entry | None = asked("escalation", "Energy price rises a year", "estimated", "0 where nothing is said.")

    @model_validator(mode="before")
    @classmethod
    def _costs_of_earlier_files(cls, data: Any) -> Any:
        """Earlier job files held one cost for each of three kinds; each goes to its option."""
        if not isinstance(data, dict) or not OLD_COSTS.keys() & data.keys():
            return data
        rest = {name: value for name, value in data.items() if name not in OLD_COSTS}
        costs = {OLD_COSTS[name]: data[name] for name in OLD_COSTS if data.get(name) is not None}
        items = rest.get("considered") or [one.model_dump(mode="json") for one in USUAL]
        return rest | {
            "considered": [
                {**item, "price": costs[item["id"]]} if isinstance(item, dict) and item.get("id") in costs else item
                for item in items
            ]
        }
