"""Results of fault hunts as CSV, for whoever teaches."""

from __future__ import annotations

import csv
import io
from collections.abc import Iterable
from datetime import datetime

from pydantic import Field

from modest_rotor.core.coded import names_of
from modest_rotor.core.phrase import WithWords
from modest_rotor.core.say import say, words_for
from modest_rotor.formats.cells import safe_text


class HuntResult(WithWords):
    """A hunt that has ended."""

    who: str = Field(title=say("hunts-csv-hunt-result-who"))
    at: datetime = Field(title=say("hunts-csv-hunt-result-at"))
    number: int = Field(title=say("hunts-csv-hunt-result-number"))
    level: int = Field(title=say("hunts-csv-hunt-result-level"))
    machine: str = Field(title=say("hunts-csv-hunt-result-machine"))
    ending: str = Field(title=say("hunts-csv-hunt-result-ending"))
    minutes: int = Field(title=say("hunts-csv-hunt-result-minutes"))
    budget: int = Field(title=say("hunts-csv-hunt-result-budget"))
    cheapest: int = Field(title=say("hunts-csv-hunt-result-cheapest"))
    hidden: str = Field(title=say("hunts-csv-hunt-result-hidden"))
    named: str = Field(title=say("hunts-csv-hunt-result-named"))
    next_step: str = Field(title=say("hunts-csv-hunt-result-next-step"))
    next_right: bool = Field(title=say("hunts-csv-hunt-result-next-right"))
    acts: str = Field(title=say("hunts-csv-hunt-result-acts"))


def write_hunts(results: Iterable[HuntResult]) -> str:
    """One hunt to a row, oldest first."""
    out = io.StringIO()
    writer = csv.writer(out, lineterminator="\r\n")
    writer.writerow([words_for(field.title) for field in HuntResult.model_fields.values()])
    for one in results:
        writer.writerow([_cell(getattr(one, name)) for name in HuntResult.model_fields])
    return out.getvalue()


def _cell(value: object) -> str:
    if isinstance(value, datetime):
        return f"{value:%Y-%m-%d %H:%M}"
    if isinstance(value, bool):
        return words_for(names_of("answers")["yes" if value else "no"])
    return safe_text(words_for(value) if isinstance(value, str) else str(value))
