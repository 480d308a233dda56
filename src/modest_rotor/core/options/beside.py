"""A few options laid side by side, with what each is more or less than the first: from differences, shared errors cancelled."""

from __future__ import annotations

from collections.abc import Callable
from enum import StrEnum

from pydantic import Field

from modest_rotor.core.estimate import Estimate
from modest_rotor.core.options.answer_steps import flow_quantity, power_factor
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.money_results import Money, worth_of
from modest_rotor.core.options.option_answer import Comparison, Reckoned, extra_cost
from modest_rotor.core.options.ranking import Lettered, ties
from modest_rotor.core.options.year_results import money_waits
from modest_rotor.core.phrase import Figure, Frozen, figure

MOST_BESIDE = 4
"""Options that are laid side by side at most."""


class BesideRowKind(StrEnum):
    """What a row of the comparison holds."""

    FLOW = "flow"
    POWER = "power"
    ENERGY = "energy"
    SAVED = "saved"
    MONEY = "money"
    COST = "cost"
    WORTH = "worth"
    FACTOR = "factor"


class BesideCell(Frozen):
    """One option in one row. ``less`` is it less the first option; ``ties`` whether that cannot be told from nought."""

    figure: Figure | None = None
    less: Figure | None = None
    ties: bool = False


class BesideRow(Frozen):
    """One quantity of every option laid side by side; ``step`` is the duty step that it belongs to."""

    kind: BesideRowKind
    step: str | None = None
    quantity: str
    cells: tuple[BesideCell, ...]


class BesideAnswer(Frozen):
    """Options side by side, in the order asked; the first is the one that the others are held against."""

    options: tuple[str, ...] = Field(description="their ids")
    rows: tuple[BesideRow, ...] = ()


def beside_answer(asked: tuple[str, ...], lettered: Lettered, against: Comparison) -> BesideAnswer:
    """The options asked for, row by row; one that is not there any more is left out, one that is stopped has empty cells.

    :param asked: ids of options, the one to hold the others against first. Source: definitions; the difference of two options
        carries only the errors that they do not share.
    """
    by_id = {one.solved.candidate.id: one for _, one in lettered}
    shown = tuple(by_id[one] for one in dict.fromkeys(asked) if one in by_id)[:MOST_BESIDE]
    rows = [*_steps(shown, against), *_years(shown, against)]
    return BesideAnswer(
        options=tuple(one.solved.candidate.id for one in shown),
        rows=tuple(row for row in rows if any(cell.figure for cell in row.cells)),
    )


def _steps(shown: tuple[Reckoned, ...], against: Comparison) -> list[BesideRow]:
    rows = []
    for place, step in enumerate(against.year.steps):
        at = [None if one.stop else one.solved.steps[place] for one in shown]
        flows, watts = ([getattr(one, part) if one else None for one in at] for part in ("flow", "input_power"))
        rows.append(_row(BesideRowKind.FLOW, flow_quantity(against.machine), flows, step.id))
        rows.append(_row(BesideRowKind.POWER, "input_power", watts, step.id))
    return rows


def _years(shown: tuple[Reckoned, ...], against: Comparison) -> list[BesideRow]:
    def row(kind: BesideRowKind, quantity: str, of: Callable[[Reckoned], Estimate | None]) -> BesideRow:
        return _row(kind, quantity, [None if one.stop else of(one) for one in shown])

    return [
        row(BesideRowKind.ENERGY, "energy", lambda one: one.energy if isinstance(one.energy, Estimate) else None),
        row(BesideRowKind.SAVED, "energy", lambda one: _saved(one, against)),
        row(BesideRowKind.MONEY, "money", lambda one: _money(one, against)),
        row(BesideRowKind.COST, "cost", lambda one: extra_cost(one, against)),
        row(BesideRowKind.WORTH, "money", lambda one: _worth(one, against)),
        row(BesideRowKind.FACTOR, "power_factor", lambda one: _factor(one, against.machine)),
    ]


def _saved(one: Reckoned, against: Comparison) -> Estimate | None:
    base = against.base.energy
    return base - one.energy if isinstance(base, Estimate) and isinstance(one.energy, Estimate) else None


def _money(one: Reckoned, against: Comparison) -> Estimate | None:
    saved, price = _saved(one, against), against.year.price
    waits = price is None or money_waits(against.machine, against.year) is not None
    return None if saved is None or price is None or waits else saved * price


def _worth(one: Reckoned, against: Comparison) -> Estimate | None:
    year, saved, base = against.year, _saved(one, against), one is against.base
    if saved is None or base:
        return None
    money = Money.at(saved, extra_cost(one, against), year, money_waits(against.machine, year), base)
    worth = worth_of(money, one.solved, year)
    return worth if isinstance(worth, Estimate) else None


def _factor(one: Reckoned, found: FoundMachine) -> Estimate | None:
    return power_factor(one.solved.steps[0], found) if one.solved.steps else None


def _row(kind: BesideRowKind, quantity: str, values: list[Estimate | None], step: str | None = None) -> BesideRow:
    first = values[0] if values else None
    return BesideRow(
        kind=kind,
        step=step,
        quantity=quantity,
        cells=tuple(_cell(quantity, value, first if place else None) for place, value in enumerate(values)),
    )


def _cell(quantity: str, value: Estimate | None, first: Estimate | None) -> BesideCell:
    if value is None:
        return BesideCell()
    less = value - first if first is not None else None
    return BesideCell(
        figure=figure(quantity, value, "worked-out"),
        less=figure(quantity, less, "worked-out") if less is not None else None,
        ties=less is not None and ties(less),
    )
