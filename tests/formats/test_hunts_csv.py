"""Results of fault hunts as CSV: read back by the standard library, each cell what it was, nothing that a spreadsheet would run."""

from __future__ import annotations

import csv
import io
from datetime import UTC, datetime

from modest_rotor.formats.hunts_csv import HuntResult, write_hunts

ONE = HuntResult(
    who="A. Porter", at=datetime(2026, 3, 1, 14, 30, tzinfo=UTC), number=417, level=2, machine="capacitor blower", ending="named, right",
    minutes=23, budget=40, cheapest=12, hidden="run capacitor weak", named="run capacitor weak; ±", next_step="read µF out of circuit",
    next_right=True, acts="listened, read amps, “felt” the shell",
)  # fmt: skip


def rows(*results: HuntResult) -> list[dict[str, str]]:
    return list(csv.DictReader(io.StringIO(write_hunts(results))))


def test_a_hunt_is_a_row_under_headings_in_words() -> None:
    (row,) = rows(ONE)
    assert row == {
        "who": "A. Porter", "ended, UTC": "2026-03-01 14:30", "hunt": "417", "level": "2", "machine": "capacitor blower",
        "ending": "named, right", "minutes spent": "23", "minutes given": "40", "minutes of the cheapest way": "12",
        "hidden": "run capacitor weak", "named": "run capacitor weak; ±", "next step named": "read µF out of circuit",
        "next step right": "yes", "what was done, in order": "listened, read amps, “felt” the shell",
    }  # fmt: skip


def test_order_is_kept_none_is_a_head_alone_and_no_cell_is_a_formula() -> None:
    assert write_hunts([]).count("\r\n") == 1
    other = ONE.model_copy(update={"number": 2, "who": "=cmd|' /C calc'!A0", "next_right": False})
    first, second = rows(ONE, other)
    assert (first["hunt"], second["hunt"], second["next step right"]) == ("417", "2", "no")
    assert second["who"][0] not in "=+-@" and "cmd" in second["who"]
