"""What a reader is told a source of error is: results share sources by their names, people read words.

A name is one of table ``error_sources``, followed by what it is of: a quantity, a set, the name of a step.
"""

from __future__ import annotations

import re
from functools import lru_cache

from modest_rotor.core.quantities import all_quantities
from modest_rotor.core.say import joined, say
from modest_rotor.core.tables import read_table

A_SET = re.compile(r"set (\d+)")


@lru_cache(maxsize=4096)
def words_of_source(name: str) -> str:
    """A source of error in words.

    :param name: as estimates hold it. Source: table error_sources.
    """
    known = [row for row in read_table("error_sources") if name.startswith(row["source"])]
    if not known:
        return joined(", ", (_part(part) for part in name.split(", ")))
    row = max(known, key=lambda one: len(one["source"]))
    rest = name.removeprefix(row["source"])
    if not rest.startswith(", "):
        return joined("", (row["words"], rest))
    return joined(", ", (row["words"], *(_part(part) for part in rest.removeprefix(", ").split(", "))))


def _part(part: str) -> str:
    numbered = A_SET.fullmatch(part)
    if numbered:
        return say("error-sources-set", number=int(numbered[1]))
    known = all_quantities()
    return known[part].label if part in known else part
