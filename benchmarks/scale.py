"""How much a benchmark does: all of it, or just enough to show that it runs to its end."""

from __future__ import annotations

import os

SHORT = bool(os.environ.get("BENCHMARK_SHORT"))
"""Set by ``python -m benchmarks --short`` and by the tests, which assert no time."""


def few(full: int, short: int) -> int:
    """The count of the whole benchmark, or of its short form."""
    return short if SHORT else full
