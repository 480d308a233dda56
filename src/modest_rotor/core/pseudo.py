"""The language of tests: every message of the catalogue, marked, its vowels accented, so that what is in no catalogue stands out on a screen."""

from __future__ import annotations

from typing import Any

FILLER = str.maketrans("aeiouAEIOU", "àéîöûÀÉÎÖÛ")


def marked(pattern: list[Any]) -> list[Any]:
    """A message marked at both ends, its own words accented; the values that stand in it are as they are. :param pattern: as it is loaded."""
    return ["⟦", *map(_accented, pattern), "⟧"]


def _accented(part: Any) -> Any:
    if isinstance(part, dict):
        cases = {name: list(map(_accented, case)) for name, case in part.get("cases", {}).items()}
        return {**part, "cases": cases} if cases else part
    return part.translate(FILLER)
