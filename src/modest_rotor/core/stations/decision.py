"""Decision: which option, why, and who agreed to what."""

from __future__ import annotations

from pydantic import Field

from modest_rotor.core.stations.sheet import LONGEST_NAME, Sheet, moment, told
from modest_rotor.core.stations.statement import Statement

MOST_APPROVALS = 20


class Approval(Statement):
    """One approval: of what, by whom, in which role; and who recorded it, when."""

    of: str = told("Of what", default="", longest=LONGEST_NAME)
    who: str | None = told("Who gave it", longest=LONGEST_NAME)
    role: str | None = told("In which role", "For example: code authority, motor's maker, owner.", longest=LONGEST_NAME)
    by: str | None = told("Recorded by", longest=LONGEST_NAME)
    at: str | None = moment("When")


class Decision(Sheet):
    """The choice and its reason, as the customer's report tells them."""

    chosen: str | None = Field(default=None, title="Chosen", description="The option's own identifier.", max_length=16)
    why: str | None = told("Why", "In words that the customer reads.")
    left_open: str | None = told("What is left open", "What should still be measured or asked.")
    approvals: tuple[Approval, ...] = Field(default=(), max_length=MOST_APPROVALS)
    made_for: str | None = told("For whom", "Who reads the report.", longest=LONGEST_NAME)
    made_by: str | None = told("By whom", "Who answers for it.", longest=LONGEST_NAME)
