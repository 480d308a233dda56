"""Decision: which option, why, and who agreed to what."""

from __future__ import annotations

from pydantic import Field

from modest_rotor.core.say import say
from modest_rotor.core.stations.sheet import LONGEST_NAME, Sheet, moment, told
from modest_rotor.core.stations.statement import Statement

MOST_APPROVALS = 20


class Approval(Statement):
    """One approval: of what, by whom, in which role; and who recorded it, when."""

    of: str = told("field-Approval-of", default="", longest=LONGEST_NAME)
    who: str | None = told("field-Approval-who", longest=LONGEST_NAME)
    role: str | None = told("field-Approval-role", longest=LONGEST_NAME)
    by: str | None = told("field-Approval-by", longest=LONGEST_NAME)
    at: str | None = moment("field-Approval-at")


class Decision(Sheet):
    """The choice and its reason, as the customer's report tells them."""

    chosen: str | None = Field(
        default=None, title=say("decision-chosen"), description=say("decision-chosen-help"), max_length=16
    )
    why: str | None = told("field-Decision-why")
    left_open: str | None = told("field-Decision-left_open")
    approvals: tuple[Approval, ...] = Field(default=(), max_length=MOST_APPROVALS)
    made_for: str | None = told("field-Decision-made_for", longest=LONGEST_NAME)
    made_by: str | None = told("field-Decision-made_by", longest=LONGEST_NAME)
