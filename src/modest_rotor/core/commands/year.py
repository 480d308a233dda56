"""A year, or the energy after, taken over from a template or a logger."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Any

from modest_rotor.core.changes import next_id, value_at
from modest_rotor.core.commands.command import Command, Found
from modest_rotor.core.errors import ChangeRefused
from modest_rotor.core.job import Job
from modest_rotor.core.say import Number, say
from modest_rotor.core.statements import Actor, Edit
from modest_rotor.core.stations.duty import MOST_STEPS, HoursFrom
from modest_rotor.core.stations.logger import LoggedYear
from modest_rotor.core.tables import read_table

HOURS_A_DAY = 24.0
LEAST_SPREAD, WIDEST_SPREAD = 0.01, 0.5
"""Spread of logged days that is told at least, and beyond which the year is no better known. Our judgement, no source."""
TOLD_GAPS_D = 0.05
"""Days of gaps from which on they are told."""


@dataclass(frozen=True)
class TakeTemplate(Command):
    """A year by kind of building, each step marked assumed."""

    building: str

    def edits(self, job: Job, actor: Actor, found: Found) -> tuple[Edit, ...]:
        """Errors as :func:`decide`."""
        rows = [row for row in read_table("duty_templates") if row["building"] == self.building]
        if not rows:
            raise ChangeRefused(say("commands-year-edits-there-template", building=self.building))
        steps = [
            {
                "name": row["step"],
                "hours": f"{row['hours']} h",
                "flow_share": f"{100 * float(row['share']):.0f} %",
                "call": row["call"],
                "hours_from": HoursFrom.TEMPLATE,
            }
            for row in rows
        ]
        return (Edit("duty", _with_steps(job, steps), say("commands-year-edits-year-assumed", building=self.building)),)


@dataclass(frozen=True)
class TakeYear(Command):
    """A year from a logger; ``told`` says of what file, ``by_load`` whether each load found is a step."""

    year: LoggedYear
    told: str
    by_load: bool

    def edits(self, job: Job, actor: Actor, found: Found) -> tuple[Edit, ...]:
        """Errors as :func:`decide`."""
        year = self.year
        levels = year.levels if self.by_load and len(year.levels) > 1 else ()
        told = [
            (say("commands-year-edits-logged-load", load=Number(100 * level.load, ".0f")), level.hours.value)
            for level in levels
        ]
        spread = max(year.spread, LEAST_SPREAD) if year.spread <= WIDEST_SPREAD else WIDEST_SPREAD
        steps = [
            {
                "name": name,
                "hours": f"{hours:.0f} h",
                "hours_from": HoursFrom.LOGGER,
                "hours_spread": f"{100 * spread:.0f} %",
                **({} if told else {"flow_share": "100 %"}),
            }
            for name, hours in told or [(say("commands-year-edits-logged-running"), year.hours.value)]
        ]
        duty = _with_steps(job, steps) | {"starts": f"{year.starts.value:.0f}", "logged": self.told}
        return (Edit("duty", duty, say("commands-year-edits-year-logger")),)


@dataclass(frozen=True)
class TakeEnergy(Command):
    """The energy after, from a logger of watts."""

    year: LoggedYear
    column: str
    rows: int

    def edits(self, job: Job, actor: Actor, found: Found) -> tuple[Edit, ...]:
        """Errors as :func:`decide`."""
        year = self.year
        if year.energy is None:
            raise ChangeRefused(say("commands-year-edits-holds-only", column=self.column, kind=year.kind))
        days = year.covered / HOURS_A_DAY
        gaps = year.days - days
        proof = value_at(job, "proof") | {
            "logged_days": say("commands-year-edits-days", days=Number(days, ".2f")),
            "logged_energy": f"{year.energy.value:.4g} kWh",
            "logged": say(
                "commands-year-edits-rows",
                column=self.column,
                rows=self.rows,
                gaps=say("commands-year-edits-days-gaps", gaps=Number(gaps, ".1f")) if gaps > TOLD_GAPS_D else "",
            ),
        }
        return (Edit("proof", proof, say("commands-year-edits-logger-s")),)


def _with_steps(job: Job, steps: list[dict[str, Any]]) -> dict[str, Any]:
    duty: dict[str, Any] = value_at(job, "duty")
    if len(duty["steps"]) + len(steps) > MOST_STEPS:
        raise ChangeRefused(say("commands-year-with-steps", most_steps=MOST_STEPS))
    for step in steps:
        duty["steps"] = [*duty["steps"], {**step, "id": next_id(duty["steps"])}]
    return duty
