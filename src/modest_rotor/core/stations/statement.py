"""What somebody says by name: it stays in the job with its name and day, also where it is withdrawn."""

from __future__ import annotations

from collections.abc import Iterable
from typing import TypeVar

from pydantic import Field

from modest_rotor.core.stations.sheet import LONGEST_NAME, Identified, Sheet, moment, told


class Withdrawal(Sheet):
    """Who took back what was said, when and why."""

    who: str = told("field-Withdrawal-who", default="", longest=LONGEST_NAME)
    at: str | None = moment("field-Withdrawal-at")
    why: str = told("field-Withdrawal-why", default="", longest=400)


class Statement(Identified):
    """What a person says by name: a mark, a stop answered for, an approval, a signature."""

    withdrawn: Withdrawal | None = Field(default=None, description="by whom it was taken back, where it was")


Said = TypeVar("Said", bound=Statement)


def standing(said: Iterable[Said]) -> tuple[Said, ...]:
    """Statements that stand: those that nobody withdrew."""
    return tuple(one for one in said if one.withdrawn is None)
