"""Figures, results and workings as plain text in a reader's units."""

from __future__ import annotations

import math

from modest_rotor.core.calculations.calculation import Calculated
from modest_rotor.core.phrase import Figure
from modest_rotor.core.quantities import UnitSystem, quantity
from modest_rotor.core.working import Result


def written(figure: Figure, units: UnitSystem) -> str:
    """A figure with its band and unit, no finer than the band allows."""
    what = quantity(figure.quantity)
    unit, finest = what.reader_unit(units), 10.0 ** -what.decimals[units]
    band = None if figure.band is None else figure.band / unit.factor
    step = max(finest, 10.0 ** (math.floor(math.log10(band)) - 1)) if band else finest
    places = max(0, -math.floor(math.log10(step) + 1e-9))
    value = round(unit.from_si(figure.value) / step) * step
    beside = f" ± {round(max(band, step) / step) * step:,.{places}f}" if band else ""
    symbol = "" if unit.symbol == "money" else unit.symbol
    return f"{value:,.{places}f}{beside} {symbol}".rstrip().replace("-", "−", 1 if value < 0 else 0)


def told(calculated: Calculated, units: UnitSystem) -> str:
    """A calculation's results with their working, one fact to a line."""
    lines = [f"{one.label}: {written(one.figure, units)}" for one in calculated.results if one.figure]
    lines += list(calculated.words)
    if calculated.results:
        lines += _working(calculated.results[0], units)
    return "\n".join(lines)


def _working(result: Result, units: UnitSystem) -> list[str]:
    working = result.working
    if working is None:
        return []
    values = [
        f"  {one.symbol or '·'}  {one.label}: {written(one.figure, units)} ({one.origin or one.figure.basis})"
        for one in working.ingredients
    ]
    return [
        f"  {working.formula}",
        *values,
        *(f"  {remark}" for remark in working.remarks),
        f"  Source: {working.source}",
    ]
