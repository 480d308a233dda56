"""What moves an answer: the inputs whose uncertainties contribute most, and the reading that would narrow it most."""

from __future__ import annotations

from modest_rotor.core.error_sources import words_of_source
from modest_rotor.core.estimate import COVERAGE_95, Estimate
from modest_rotor.core.options.answers import Sensitivities, Sensitivity
from modest_rotor.core.phrase import figure
from modest_rotor.core.say import say, tell
from modest_rotor.core.tables import read_table

MOST = 5
OF_MOTOR = (say("term-this-motor"), say("term-a-new-motor"))


def sensitivities(saved: Estimate, quantity: str) -> Sensitivities | None:
    """The five inputs that move a result most, each with what it makes of the result at the ends of its own uncertainty.

    Sources of one kind (the directions in which a fitted motor is unsure, last digits of one meter) are told as one.
    """
    grouped: dict[str, float] = {}
    for name, contribution in saved.contributions.items():
        kind = _kind(name)
        grouped[kind] = grouped.get(kind, 0.0) + contribution**2
    variance = sum(grouped.values())
    if not variance:
        return None
    ranked = sorted(grouped.items(), key=lambda item: -item[1])[:MOST]
    told = tuple(
        Sensitivity(
            source=name,
            share=part / variance,
            low=figure(quantity, saved.value - COVERAGE_95 * part**0.5),
            high=figure(quantity, saved.value + COVERAGE_95 * part**0.5),
        )
        for name, part in ranked
    )
    rest = 1 - sum(sensitivity.share for sensitivity in told)
    first = next((words for sensitivity in told if (words := _remedy(sensitivity.source))), "")
    share = next((sensitivity.share for sensitivity in told if _remedy(sensitivity.source)), 0.0)
    left = saved.uncertainty * (1 - share) ** 0.5
    narrow = tell(
        "sensitivities", first=first, figure=figure(quantity, saved.uncertainty), figure_2=figure(quantity, left)
    )
    return Sensitivities(largest=told, rest=max(rest, 0.0), narrow=narrow if first else ())


def _kind(name: str) -> str:
    if name.startswith(OF_MOTOR):
        return say("sensitivities-kind-s-losses", motor=words_of_source(name.partition(",")[0]))
    if name.startswith("last digit"):
        return say("sensitivities-kind-how-finely")
    for start in ("hours of", "cycles of"):
        if name.startswith(start):
            return say("term-hours-a-year")
    return words_of_source(name)


def _remedy(source: str) -> str:
    """The reading or paper that would narrow a source; empty for what nobody can read."""
    row = next((row for row in read_table("narrowing") if source.startswith(row["source"])), None)
    return row["reading"] if row else ""
