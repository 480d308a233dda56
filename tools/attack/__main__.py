"""``python -m tools.attack`` attacks the application on loopback for at most a quarter of an hour and prints a table.

It begins an application of its own on a throwaway directory, kills it, freezes it, fills its disk, and ends by itself. Names of
attacks after it make those alone.
"""

from __future__ import annotations

import sys
import time
from collections.abc import Callable

from tests.running import Application

from tools.attack import crowds, kills, places
from tools.attack.common import Row
from tools.attack.poison import poison

ATTACKS: dict[str, Callable[[Application], Row | list[Row]]] = {
    "poison": lambda application: poison(application, 120, 150),
    "calls": lambda application: crowds.calls(application, 30_000, 240),
    "typists": lambda application: crowds.typists(application, 20, 30),
    "editors": lambda application: crowds.editors(application, 50, 2),
    "files": crowds.files,
    "frozen": lambda application: places.frozen(application, 20),
    "copies": places.copies,
    "memory": lambda application: crowds.memory(application, 300),
    "kills": lambda application: kills.kills(application, 100),
    "disk": lambda _: places.full_disk(),
}


def main(names: list[str]) -> int:
    """Attack, print, and say whether everything held."""
    rows: list[Row] = []
    begun = time.monotonic()
    for name in names or list(ATTACKS):
        application = Application().start()
        try:
            found = ATTACKS[name](application)
            rows += found if isinstance(found, list) else [found]
        finally:
            application.remove()
        print(f"{name}: {time.monotonic() - begun:.0f} s", file=sys.stderr)
    print("| attack | done | found | |\n| --- | --- | --- | --- |")
    for row in rows:
        print(f"| {row.attack} | {row.done} | {row.found} | {'holds' if row.holds else '**does not hold**'} |")
    return 0 if all(row.holds for row in rows) else 1


if __name__ == "__main__":
    sys.exit(main(sys.argv[1:]))
