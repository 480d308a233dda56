"""The candidates by what they save, and by how much one saves more than the next: from differences, shared errors cancelled."""

from __future__ import annotations

import itertools
from dataclasses import dataclass

from modest_rotor.core.estimate import Estimate
from modest_rotor.core.options import money_results, year_results
from modest_rotor.core.options.answers import RankedAnswer, RankingAnswer
from modest_rotor.core.options.contract import OptionKind
from modest_rotor.core.options.option_answer import Reckoned, Yardstick
from modest_rotor.core.options.year import cost_of
from modest_rotor.core.phrase import Figure, Phrase, figure
from modest_rotor.core.working import waiting

Lettered = tuple[tuple[str, Reckoned], ...]
TOLD_APART = 3
"""Candidates, the best first, whose differences are put into words."""


@dataclass(frozen=True)
class _Row:
    letter: str
    one: Reckoned
    saved: Estimate | str
    cost: Estimate | None

    @property
    def order(self) -> tuple[int, float]:
        """Where it stands: known ones by their saving, then what waits, then what is stopped."""
        if self.one.stop:
            return (2, 0.0)
        return (0, -self.saved.value) if isinstance(self.saved, Estimate) else (1, 0.0)


def rank(lettered: Lettered, against: Yardstick) -> RankingAnswer:
    """Every candidate by its saving.

    Of a dead motor no running one is left to keep: the same kind, new, is the base then, and a cost is what a candidate costs more
    than that. Source: definitions; differences carry the errors that two options do not share.
    """
    base_letter, base = _base(lettered, against)
    dead = base is not against.kept
    rows = [_row(letter, one, base, dead) for letter, one in lettered if not (dead and one.keeps)]
    rows.sort(key=lambda row: row.order)
    return RankingAnswer(
        base=base_letter,
        dead=dead,
        rows=tuple(_answer(row, base, against) for row in rows),
        differences=differences(
            tuple((row.letter, row.saved) for row in rows if row.one is not base and not row.one.stop)
        ),
    )


def _base(lettered: Lettered, against: Yardstick) -> tuple[str, Reckoned]:
    if against.year.dead:
        for letter, one in lettered:
            if one.solved.considered.kind is OptionKind.SAME_KIND and isinstance(one.energy, Estimate) and not one.stop:
                return letter, one
    return lettered[0][0], against.kept


def _row(letter: str, one: Reckoned, base: Reckoned, dead: bool) -> _Row:
    if isinstance(one.energy, str) or isinstance(base.energy, str):
        saved: Estimate | str = one.energy if isinstance(one.energy, str) else str(base.energy)
    else:
        saved = base.energy - one.energy
    cost, spent = cost_of(one.solved.considered), cost_of(base.solved.considered)
    if dead:
        cost = cost - spent if cost is not None and spent is not None else None
    return _Row(letter, one, saved, cost)


def _answer(row: _Row, base: Reckoned, against: Yardstick) -> RankedAnswer:
    year, keeps = against.year, row.one is base
    waits = year_results.money_waits(against.machine, year)
    money = money_results.Money.at(row.saved, row.cost, year, waits, keeps)
    saved = (
        waiting("Saved a year", "the yardstick")
        if keeps
        else year_results.saved_energy_result(row.saved, base.energy, row.one.energy, keeps)
    )
    return RankedAnswer(
        id=row.one.solved.considered.id,
        letter=row.letter,
        saved=saved,
        cost=figure("cost", row.cost, "estimated") if row.cost is not None else None,
        payback=money_results.payback_result(money),
        is_base=keeps,
    )


def differences(ranked: tuple[tuple[str, Estimate | str], ...]) -> Phrase:
    """How the first candidates differ, in words: by how much one saves more than the next, or that two tie.

    :param ranked: letter and saving, kWh a year, best first. A tie is a difference whose band holds nought.
    """
    known = [(letter, saved) for letter, saved in ranked if isinstance(saved, Estimate)][:TOLD_APART]
    said: list[str | Figure] = []
    for (first, more), (second, less) in itertools.pairwise(known):
        apart = more - less
        said += ["; "] if said else []
        if abs(apart.value) <= apart.band:
            said.append(f"{first} and {second} tie")
        else:
            said += [f"{first} saves ", figure("energy", apart, "worked out"), f" more than {second}"]
    return (*said, ".") if said else ()
