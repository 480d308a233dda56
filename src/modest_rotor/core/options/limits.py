"""What an option does not do, or may not do: less flow than today, more than its size, a protected flow not kept."""

from __future__ import annotations

from dataclasses import dataclass

from modest_rotor.core.estimate import Estimate
from modest_rotor.core.options.contract import SolvedStep
from modest_rotor.core.say import Number, listed, say

LESS_AIR = 0.97
"""Share of today's flow below which an option is said to move less; nearer than that no flow meter tells them apart."""


@dataclass(frozen=True)
class ComparedStep:
    """One duty step of an option beside today's, with the least flow that is allowed there, if any is."""

    name: str
    step: SolvedStep
    today: SolvedStep
    least: Estimate | None


def limits_of(steps: tuple[ComparedStep, ...], least_words: str) -> tuple[str, ...]:
    """Sentences on what the option does otherwise than the machine of today.

    :param least_words: how the least flow is called in a sentence, for example “the documented least”.
    """
    less = [step.name for step in steps if _moves_less(step)]
    words = (say("limits-of-moves-less", less=listed(less)),) if less else ()
    larger = tuple(dict.fromkeys(step.step.words for step in steps if step.step.too_small))
    unsure = tuple(
        say("limits-of-may-move", step=step.name, shortfall=Number(100 * shortfall, ".0f"), least_words=least_words)
        for step in steps
        if (shortfall := _possible_shortfall(step)) >= 0.005
    )
    return (*words, *larger, *unsure)


def protected_stop(steps: tuple[ComparedStep, ...], least_words: str) -> str | None:
    """The sentence that stops an option which would, beyond its uncertainty, move less than a protected duty allows."""
    short = [step.name for step in steps if _surely_short(step)]
    if not short:
        return None
    return say("limits-protected-stop", short=listed(short), least_words=least_words)


def _moves_less(step: ComparedStep) -> bool:
    now, today = step.step.flow, step.today.flow
    return bool(now and today and now.value < LESS_AIR * today.value)


def _surely_short(step: ComparedStep) -> bool:
    margin = _margin(step)
    return margin is not None and margin.value + margin.uncertainty < -1e-9 * abs(margin.value)


def _possible_shortfall(step: ComparedStep) -> float:
    margin = _margin(step)
    if margin is None or step.least is None or step.least.value <= 0:
        return 0.0
    return max(margin.uncertainty - margin.value, 0.0) / step.least.value


def _margin(step: ComparedStep) -> Estimate | None:
    return step.step.flow - step.least if step.step.flow and step.least else None
