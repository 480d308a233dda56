"""Options: which replacements are considered, what they cost, and how money is reckoned over the years."""

from __future__ import annotations

from typing import Any

from pydantic import Field, model_validator

from modest_rotor.core.coded import Coded
from modest_rotor.core.entry import Entry
from modest_rotor.core.say import say
from modest_rotor.core.stations.fitting import Fitting
from modest_rotor.core.stations.product import Product
from modest_rotor.core.stations.sheet import LONGEST_NAME, Identified, Sheet, asked, chosen, moment, told
from modest_rotor.core.stations.statement import Statement

MOST_CANDIDATES, MOST_WAIVERS = 14, 40


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


class Candidate(Identified):
    """One replacement that is considered; its product is a copy, so that the job stands by itself."""

    kind: OptionKind = Field(default=OptionKind.ELECTRONIC, title=say("options-considered-kind"))
    name: str | None = told("field-Candidate-name", longest=LONGEST_NAME)
    product: Product | None = Field(default=None, title=say("options-considered-product"))
    price: Entry | None = asked("cost", "field-Candidate-price", "estimated")
    labour: Entry | None = asked("cost", "field-Candidate-labour", "estimated")
    rebate: Entry | None = asked("cost", "field-Candidate-rebate", "typed")
    life: Entry | None = asked("life", "field-Candidate-life", "estimated")
    lead_time: Entry | None = asked("lead_time", "field-Candidate-lead_time", "estimated")
    wears: str | None = told("field-Candidate-wears", longest=LONGEST_NAME)
    tap: str | None = told("field-Candidate-tap", longest=30)
    regulator: Regulating | None = chosen("field-Candidate-regulator")
    speed_share: Entry | None = asked("speed_share", "field-Candidate-speed_share", "estimated")
    diameter_share: Entry | None = asked("diameter_share", "field-Candidate-diameter_share", "estimated")
    throttle_drop: Entry | None = asked("throttle_drop", "field-Candidate-throttle_drop", "measured")
    set_pressure: Entry | None = asked("pump_differential", "field-Candidate-set_pressure", "typed")

    @property
    def technical(self) -> Candidate:
        """The same without its price, its name and whatever else moves no point at which it runs."""
        return self.model_copy(update=dict.fromkeys(NOT_TECHNICAL))


NOT_TECHNICAL = ("price", "labour", "rebate", "life", "lead_time", "wears", "name")


class Waiver(Statement):
    """A stop that somebody answers for: which, who, and why."""

    option: str = Field(default="", max_length=16, title=say("options-waiver-option"))
    check: str = Field(default="", max_length=40, title=say("options-waiver-check"))
    who: str = told("field-Waiver-who", default="", longest=LONGEST_NAME)
    reason: str = told("field-Waiver-reason", default="", longest=400)
    at: str | None = moment("field-Waiver-at")


USUAL = (
    Candidate(id="same", kind=OptionKind.SAME_KIND),
    Candidate(id="electronic", kind=OptionKind.ELECTRONIC),
    Candidate(id="drive", kind=OptionKind.DRIVE),
)
"""What a new job begins with, and what is looked at first; more are added, any is removed. Common practice, no source."""
OLD_COSTS = {"same_kind_cost": "same", "electronic_cost": "electronic", "drive_cost": "drive"}


class OptionCosts(Sheet):
    """What is considered, what is put right first, and how money is reckoned."""

    candidates: tuple[Candidate, ...] = Field(default=USUAL, max_length=MOST_CANDIDATES)
    waivers: tuple[Waiver, ...] = Field(default=(), max_length=MOST_WAIVERS)
    fitting: Fitting = Fitting()
    repairs: tuple[Repair, ...] = Field(
        default=(),
        title=say("options-option-costs-repairs"),
        description=say("options-option-costs-repairs-help"),
        max_length=len(Repair),
    )
    filter_excess: Entry | None = asked("pressure", "field-OptionCosts-filter_excess", "measured")
    wheel_loss: Entry | None = asked("share_of_hours", "field-OptionCosts-wheel_loss", "estimated")
    repair_cost: Entry | None = asked("cost", "field-OptionCosts-repair_cost", "estimated")
    resistance_factor: Entry | None = asked("resistance_factor", "field-OptionCosts-resistance_factor", "estimated")
    loaded_static: Entry | None = asked("pressure", "field-OptionCosts-loaded_static", "estimated")
    discount_rate: Entry | None = asked("discount_rate", "field-OptionCosts-discount_rate", "typed")
    escalation: Entry | None = asked("escalation", "field-OptionCosts-escalation", "estimated")

    @model_validator(mode="before")
    @classmethod
    def _costs_of_earlier_files(cls, data: Any) -> Any:
        """Earlier job files held one cost for each of three kinds; each goes to its option."""
        if not isinstance(data, dict) or not OLD_COSTS.keys() & data.keys():
            return data
        rest = {name: value for name, value in data.items() if name not in OLD_COSTS}
        costs = {OLD_COSTS[name]: data[name] for name in OLD_COSTS if data.get(name) is not None}
        items = rest.get("candidates") or [one.model_dump(mode="json") for one in USUAL]
        return rest | {
            "candidates": [
                {**item, "price": costs[item["id"]]} if isinstance(item, dict) and item.get("id") in costs else item
                for item in items
            ]
        }
