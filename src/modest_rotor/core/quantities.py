"""Every quantity of the product: its unit inside, the units people type and see, its limits.

Inside, everything is SI, with three exceptions that the trade counts in its own units and that never meet an SI
equation unconverted: rotation in rpm, hours of a year in h, and energy in kWh as the tariff bills it.
"""

import math
from dataclasses import dataclass
from functools import cache
from types import MappingProxyType
from typing import Literal

from modest_rotor.core.errors import QuantityRefused
from modest_rotor.core.say import Number, joined, say
from modest_rotor.core.tables import read_table

UnitSystem = Literal["ip", "si"]
UNIT_WORDS = {
    "days": say("unit-days"),
    "years": say("unit-years"),
    "per kWh": say("unit-per-kwh"),
    "L/s per kW": say("unit-litres-a-second-per-kilowatt"),
    "m³/h per kW": say("unit-cubic-metres-an-hour-per-kilowatt"),
}
"""What a person reads of units whose symbol is made of words."""
TOLD_FIGURES = 3


@dataclass(frozen=True)
class Unit:
    """A unit of one dimension: ``SI value = typed value × factor + offset``; only scales of temperature have an offset."""

    symbol: str
    factor: float
    aliases: tuple[str, ...]
    offset: float = 0.0

    def to_si(self, typed: float) -> float:
        """A typed value in the unit used inside. Source: table ``units``."""
        return typed * self.factor + self.offset

    def from_si(self, value: float) -> float:
        """A value of the unit used inside in this unit. Source: table ``units``."""
        return (value - self.offset) / self.factor

    def answers_to(self, spelling: str) -> bool:
        """Whether ``spelling`` names this unit: exactly by symbol, or in any case by symbol or alias."""
        return spelling == self.symbol or spelling.lower() in (self.symbol.lower(), *self.aliases)


@dataclass(frozen=True)
class Quantity:
    """A quantity: what it is called, its dimension, the reader's units, its limits in SI."""

    name: str
    label: str
    dimension: str
    reader_units: MappingProxyType[UnitSystem, str]
    low: float
    high: float
    decimals: MappingProxyType[UnitSystem, int]
    least_typed: float | None = None
    """Least value that practice has: under it a bare number is a fraction typed for per cent, or asked about."""

    @property
    def units(self) -> tuple[Unit, ...]:
        """The units that may be typed for it."""
        return units_of(self.dimension)

    def reader_unit(self, system: UnitSystem) -> Unit:
        """The unit in which a reader of ``system`` sees and types it."""
        return next(unit for unit in self.units if unit.symbol == self.reader_units[system])

    def is_american(self, unit: Unit) -> bool:
        """Whether a unit is the one that readers in the Americas see, and no other reader does."""
        return unit.symbol == self.reader_unit("ip").symbol != self.reader_unit("si").symbol

    def unit_named(self, spelling: str) -> Unit | None:
        """The unit of this quantity that ``spelling`` names, if any; an exact symbol goes before a loose alias."""
        exact = (unit for unit in self.units if unit.symbol == spelling)
        loose = (unit for unit in self.units if unit.answers_to(spelling))
        return next(exact, None) or next(loose, None)


@cache
def units_of(dimension: str) -> tuple[Unit, ...]:
    """The units of a dimension, in table order."""
    return tuple(
        Unit(
            row["symbol"],
            float(row["factor"]),
            tuple(filter(None, row["aliases"].split("|"))),
            float(row["offset"] or 0),
        )
        for row in read_table("units")
        if row["dimension"] == dimension
    )


@cache
def all_quantities() -> MappingProxyType[str, Quantity]:
    """Every quantity by name."""
    return MappingProxyType({row["name"]: _quantity(row) for row in read_table("quantities")})


def quantity(name: str) -> Quantity:
    """The quantity called ``name``; refuses an unknown name."""
    found = all_quantities().get(name)
    if found is None:
        raise QuantityRefused(say("quantities-quantity", name=name))
    return found


def unit_words(symbol: str) -> str:
    """A unit as a person reads it."""
    return UNIT_WORDS.get(symbol, symbol)


def in_both_units(value: float, name: str) -> str:
    """A value as a reader of either system knows it, ``250 Pa (1 in. w.g.)``: for sentences whose reader is not known.

    :param value: in the unit used inside. :param name: of its quantity.
    """
    units = dict.fromkeys(quantity(name).reader_unit(system) for system in ("si", "ip"))
    first, *other = (joined(" ", (_in_figures(unit.from_si(value)), unit_words(unit.symbol))) for unit in units)
    return say("quantities-both-units", first=first, other=other[0]) if other else first


def _in_figures(value: float) -> Number:
    """In three figures, and with no fewer than all before the decimal point; what is no number as such."""
    if not math.isfinite(value):
        return Number(value, "")
    places = max(0, TOLD_FIGURES - 1 - math.floor(math.log10(abs(value)))) if value else 0
    decimals = f"{value:,.{places}f}".partition(".")[2].rstrip("0")
    return Number(value, f",.{len(decimals)}f")


def dimension_of(spelling: str) -> str | None:
    """The dimension of the first unit that ``spelling`` names, for telling a person what they typed instead."""
    rows = read_table("units")
    for dimension in dict.fromkeys(row["dimension"] for row in rows):
        if any(unit.symbol == spelling for unit in units_of(dimension)):
            return dimension
    for dimension in dict.fromkeys(row["dimension"] for row in rows):
        if any(unit.answers_to(spelling) for unit in units_of(dimension)):
            return dimension
    return None


def _quantity(row: dict[str, str]) -> Quantity:
    return Quantity(
        name=row["name"],
        label=row["label"],
        dimension=row["dimension"],
        reader_units=MappingProxyType({"ip": row["ip_unit"], "si": row["si_unit"]}),
        low=float(row["low"]),
        high=float(row["high"]),
        decimals=MappingProxyType({"ip": int(row["decimals_ip"]), "si": int(row["decimals_si"])}),
        least_typed=float(row["least_typed"]) if row["least_typed"] else None,
    )
