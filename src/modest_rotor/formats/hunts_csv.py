"""Results of fault hunts as CSV, for whoever teaches."""

from __future__ import annotations

import csv
import io
from collections.abc import Iterable
from datetime import datetime

from pydantic import BaseModel, Field

from modest_rotor.formats.cells import safe_text


class HuntResult(BaseModel):
    """A hunt that has ended."""

    who: str = Field(title="who")
    at: datetime = Field(title="ended, UTC")
    number: int = Field(title="hunt")
    level: int = Field(title="level")
    machine: str = Field(title="machine")
    ending: str = Field(title="ending")
    minutes: int = Field(title="minutes spent")
    budget: int = Field(title="minutes given")
    cheapest: int = Field(title="minutes of the cheapest way")
    hidden: str = Field(title="hidden")
    named: str = Field(title="named")
    next_step: str = Field(title="next step named")
    next_right: bool = Field(title="next step right")
    acts: str = Field(title="what was done, in order")


def write_hunts(results: Iterable[HuntResult]) -> str:
    """One hunt to a row, oldest first."""
    out = io.StringIO()
    writer = csv.writer(out, lineterminator="\r\n")
    writer.writerow([field.title for field in HuntResult.model_fields.values()])
    for one in results:
        writer.writerow([_cell(getattr(one, name)) for name in HuntResult.model_fields])
    return out.getvalue()


def _cell(value: object) -> str:
    if isinstance(value, datetime):
        return f"{value:%Y-%m-%d %H:%M}"
    if isinstance(value, bool):
        return "yes" if value else "no"
    return safe_text(str(value))
