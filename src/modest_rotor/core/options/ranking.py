"""The candidates by what they save, and by how much one saves more than the next: from differences, shared errors cancelled."""

from __future__ import annotations

import itertools

from modest_rotor.core.estimate import Estimate
from modest_rotor.core.options.answers import OptionAnswer, RankedAnswer, RankingAnswer
from modest_rotor.core.options.contract import OptionKind
from modest_rotor.core.options.option_answer import Comparison, Reckoned, extra_cost
from modest_rotor.core.outcome import Absent
from modest_rotor.core.phrase import Figure, Phrase, figure
from modest_rotor.core.say import say, tell

Lettered = tuple[tuple[str, Reckoned], ...]
TOLD_APART = 3
"""Candidates, the best first, whose differences are put into words."""


def base_of(reckoned: tuple[Reckoned, ...], dead: bool) -> Reckoned:
    """What savings are held against: the baseline, which comes first, or of a dead motor the first new one of the same kind.

    Where a dead motor has no such candidate that can be worked out, the baseline stays.

    :param reckoned: every option, the repaired machine first. :param dead: whether the motor no longer runs. Source: definition.
    """
    if dead:
        for one in reckoned:
            same = one.solved.candidate.kind is OptionKind.SAME_KIND
            if same and isinstance(one.energy, Estimate) and not one.stop:
                return one
    return reckoned[0]


def rank(lettered: Lettered, answers: tuple[OptionAnswer, ...], against: Comparison) -> RankingAnswer:
    """Every candidate by its saving: the known ones, then what waits, then what is stopped.

    A dead motor is no candidate, and a cost is what a candidate costs more than the base. Source: definitions; differences carry
    the errors that two options do not share.
    """
    rows = [
        (one, answer) for (_, one), answer in zip(lettered, answers, strict=True) if not (against.dead and one.keeps)
    ]
    rows.sort(key=lambda row: _order(row[0], against.base))
    held = [
        (answer.letter, _saved(one, against.base)) for one, answer in rows if one is not against.base and not one.stop
    ]
    return RankingAnswer(
        rows=tuple(_row(one, answer, against) for one, answer in rows), differences=differences(tuple(held))
    )


def _saved(one: Reckoned, base: Reckoned) -> Estimate | Absent:
    if isinstance(one.energy, Absent):
        return one.energy
    return base.energy if isinstance(base.energy, Absent) else base.energy - one.energy


def _order(one: Reckoned, base: Reckoned) -> tuple[int, float]:
    if one.stop:
        return (2, 0.0)
    saved = _saved(one, base)
    return (0, -saved.value) if isinstance(saved, Estimate) else (1, 0.0)


def _row(one: Reckoned, answer: OptionAnswer, against: Comparison) -> RankedAnswer:
    cost = extra_cost(one, against)
    return RankedAnswer(
        id=answer.id, cost=figure("cost", cost, "estimated") if cost is not None else None, is_base=one is against.base
    )


def differences(ranked: tuple[tuple[str, Estimate | Absent], ...]) -> Phrase:
    """How the first candidates differ, in words: by how much one saves more than the next, or that two tie.

    :param ranked: letter and saving, kWh a year, best first. A tie is a difference whose 95 % interval holds nought.
    """
    known = [(letter, saved) for letter, saved in ranked if isinstance(saved, Estimate)][:TOLD_APART]
    said: list[str | Figure] = []
    for (first, more), (second, less) in itertools.pairwise(known):
        apart = more - less
        said += ["; "] if said else []
        if ties(apart):
            said.append(say("ranking-differences-tie", first=first, second=second))
        else:
            said += [
                say("ranking-differences-saves", first=first),
                figure("energy", apart, "worked-out"),
                say("ranking-differences-more", second=second),
            ]
    return tell("ranking-differences-x", said=said) if said else ()


def ties(apart: Estimate) -> bool:
    """Whether a difference cannot be told from nought: its 95 % interval holds it.

    :param apart: one saving less the other, kWh a year, shared errors cancelled. Source: definition of the interval, JCGM 100.
    """
    return abs(apart.value) <= apart.uncertainty
