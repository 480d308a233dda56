"""Why a value of the core is not there: it waits for something that can still be read or said, or it is withheld for a reason.

A function whose value may be missing returns ``Value | Absent``; which of the two it is, and that it is one at all, is told by its class.
"""

from __future__ import annotations

from dataclasses import dataclass


@dataclass(frozen=True)
class Waiting:
    """A value that comes as soon as something named is read, typed or chosen.

    :param why: what it waits for, as words for a technician; no logic reads them.
    """

    why: str


@dataclass(frozen=True)
class Withheld:
    """A value that is not given though what it needs is there: readings that contradict each other, a rule that does not hold here.

    :param why: the reason, as words for a technician; no logic reads them.
    """

    why: str


Absent = Waiting | Withheld
"""Everything but a value that is known."""
