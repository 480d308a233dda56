"""What a person typed, kept as evidence beside its SI value."""

import math
import re
from contextlib import suppress
from functools import lru_cache
from typing import Any

from pydantic import BaseModel, ConfigDict, Field, model_validator

from modest_rotor.core.errors import QuantityRefused
from modest_rotor.core.numerals import NUMERAL, NumberStyle, Numeral, numerals, plain_fractions
from modest_rotor.core.quantities import Quantity, Unit, UnitSystem, dimension_of, quantity

LONGEST_TYPED = 60
LEAST_MEANT = {"rotation": 20.0, "voltage": 3.0, "time": 5.0}
"""By dimension, in the unit used inside, what nobody means where a number can be a thousand times as much: 1.85 rpm, 1.2 h."""
SAME = 1e-6
"""Share by which a file's value may differ from its own text."""
CURRENCY_SIGNS = "$€£"
PER_CENT, OF_ONE = "%", "of 1"
OPEN_CIRCUIT = frozenset(("ol", "o.l.", "o.l", "open", "infinite", "∞"))
"""What people type where an ohmmeter shows no connection; kept as the highest resistance that its quantity holds."""
_TYPED = re.compile(
    rf"(?P<sign>[+-]?)\s*(?P<first>{NUMERAL})(?:\s*(?:-|–|to)\s*(?P<second>{NUMERAL}))?\s*(?P<unit>.*)", re.I
)


class Entry(BaseModel):
    """One value as it was typed, and what it means in SI.

    ``low`` is given when a range was typed (a plate's ``208-230 V``); ``si`` is then the upper end.
    ``resolution`` is the SI size of the last digit typed, which says how finely the value was read.
    """

    model_config = ConfigDict(frozen=True, extra="forbid")

    typed: str = Field(max_length=LONGEST_TYPED, description="exactly what was typed")
    unit: str = Field(description="the unit it was typed in, or taken to be in when none was typed")
    si: float = Field(description="the value in the unit used inside (SI; rpm, h and kWh as they are)")
    low: float | None = Field(default=None, description="the lower end, when a range was typed")
    resolution: float = Field(default=0.0, ge=0, description="the SI size of the last digit typed")

    def outside_by(self, si: float) -> float:
        """How far a value lies outside what was typed, as a logarithm; nought all along a range such as 208-230 V.

        :param si: above zero, as the entry is.

        Source: definition.
        """
        low = self.low or self.si
        return max(math.log(low / si), math.log(si / self.si), 0.0)

    @model_validator(mode="after")
    def _finite(self) -> "Entry":
        if not all(math.isfinite(number) for number in (self.si, self.resolution, self.low or 0.0)):
            raise ValueError("an entry holds finite numbers only")
        return self


@lru_cache(maxsize=4096)
def read_entry(
    name: str,
    text: str,
    units: UnitSystem | None = None,
    unit_symbol: str | None = None,
    numbers: NumberStyle | None = NumberStyle.POINT,
) -> Entry:
    """Read a typed quantity.

    :param name: the quantity it is typed for, from the table of quantities.
    :param text: what was typed: a decimal, a fraction (``3/4``, ``1-1/2``), a range, with or without a unit.
    :param units: the reader's unit system, which settles a number without a unit.
    :param unit_symbol: a unit that settles a number without one, before ``units``.
    :param numbers: how numbers are written where it was typed; where that is not known, a unit of the Americas tells it, and else
        a number that can be two is asked about.
    :raises QuantityRefused: unreadable, wrong dimension, outside the limits, or a bare number that could mean two units.
    """
    what = quantity(name)
    typed = text.strip()
    if len(typed) > LONGEST_TYPED:
        raise QuantityRefused(f"{_start(what)} takes at most {LONGEST_TYPED} characters. {_example(what, units)}")
    if what.dimension == "resistance" and typed.lower() in OPEN_CIRCUIT:
        return Entry(typed=typed, unit=what.reader_unit(units or "si").symbol, si=what.high)
    bare = typed.lstrip(CURRENCY_SIGNS) if what.dimension in ("money", "money rate") else typed
    match = _TYPED.fullmatch(plain_fractions(bare).strip())
    _refuse_unreadable(what, typed, match is None, units)
    assert match is not None
    unit = _unit(what, typed, match["unit"].strip(), units, unit_symbol)
    sign = -1 if match["sign"] == "-" else 1
    texts = [match["first"], match["second"]] if match["second"] else [match["first"]]
    style = numbers or (NumberStyle.POINT if what.is_american(unit) else None)
    *lows, chosen = (_one_meant(what, typed, unit, sign, one, style) for one in texts)
    if unit_symbol is None:
        unit = _of_one_or_asked(
            what, typed, unit, chosen.value, bare=not match["unit"].strip(), is_typed=units is not None
        )
    value = unit.to_si(sign * chosen.value)
    low = unit.to_si(lows[0].value) if lows else None
    if low is not None and (sign < 0 or low >= value):
        raise QuantityRefused(f"“{typed}” runs downward. A range is typed from low to high, for example 208-230 V.")
    for bound in (low, value):
        _refuse_outside(what, typed, unit, bound)
    return Entry(typed=typed, unit=unit.symbol, si=value, low=low, resolution=chosen.last_digit * unit.factor)


def entry_said(name: str, si: float, units: UnitSystem = "si") -> Entry:
    """A value that a device said, as an entry in a reader's unit and no finer than that quantity is told.

    :param name: of the table of quantities. :param si: the value in the unit used inside. :raises QuantityRefused: outside its limits.
    """
    what = quantity(name)
    unit = what.reader_unit(units)
    return read_entry(name, f"{unit.from_si(si):.{what.decimals[units]}f} {unit.symbol}")


def entry_from_data(name: str, data: Any) -> Entry | None:
    """An entry from a job file: text with a unit, ``{"typed", "unit"}``, or a whole entry, whose SI value must agree."""
    if data is None or isinstance(data, Entry):
        return data
    if isinstance(data, (int, float)) and not isinstance(data, bool):
        data = repr(data)
    if isinstance(data, str):
        return read_entry(name, _whole(name, data)) if data.strip() else None
    unit = data.get("unit") if isinstance(data, dict) else None
    if not isinstance(data, dict) or not isinstance(data.get("typed"), str) or not isinstance(unit, str | None):
        raise QuantityRefused(f"{_start(quantity(name))} is text with its unit, or an object with “typed” and “unit”.")
    _whole(name, data["typed"] + (unit or ""))
    if not data["typed"].strip():
        return None
    entry, said = read_entry(name, data["typed"], unit_symbol=unit), data.get("si")
    if isinstance(said, (int, float)) and not math.isclose(said, entry.si, rel_tol=SAME):
        with suppress(QuantityRefused):  # it may have been typed where a comma is the decimal mark: its value tells
            entry = read_entry(name, data["typed"], unit_symbol=unit, numbers=NumberStyle.COMMA)
    if said is not None and not (isinstance(said, (int, float)) and math.isclose(said, entry.si, rel_tol=SAME)):
        raise QuantityRefused(
            f"“{entry.typed}” {entry.unit} is {entry.si:g} inside, but the file says {said}. Keep one of them."
        )
    return entry


def _whole(name: str, text: str) -> str:
    """The text itself, unless it holds half a character, which nothing can be told of or kept."""
    if any("\ud800" <= sign <= "\udfff" for sign in text):
        raise QuantityRefused(f"{_start(quantity(name))} holds half a character, which cannot be kept; type it again.")
    return text


def _refuse_unreadable(what: Quantity, typed: str, unreadable: bool, units: UnitSystem | None) -> None:
    if typed.lstrip("+-−").lower().startswith(("inf", "nan")):
        raise QuantityRefused(f"{_start(what)} must be a finite number. {_example(what, units)}")
    if unreadable:
        raise QuantityRefused(f"“{typed}” cannot be read as {what.label}. {_example(what, units)}")


def _unit(what: Quantity, typed: str, spelling: str, units: UnitSystem | None, unit_symbol: str | None) -> Unit:
    if what.dimension in ("money", "money rate"):
        spelling = spelling.lstrip(CURRENCY_SIGNS).strip()
    found = what.unit_named(spelling or unit_symbol or "")
    if found and (spelling or unit_symbol):
        return found
    if spelling:
        other = dimension_of(spelling)
        means = f"“{spelling}” is a unit of {other}" if other else f"“{spelling}” is no unit known here"
        raise QuantityRefused(f"“{typed}” is kept as typed: {means}. {_start(what)} takes {_unit_list(what)}.")
    if units is not None:
        return what.reader_unit(units)
    if what.reader_units["ip"] == what.reader_units["si"]:
        return what.reader_unit("si")
    raise QuantityRefused(f"“{typed}” needs its unit: {what.label} takes {_unit_list(what)}.")


def _of_one_or_asked(what: Quantity, typed: str, unit: Unit, value: float, bare: bool, is_typed: bool) -> Unit:
    """The unit of a share: one typed as a fraction, which as per cent is less than practice has, is taken as that and shown so.

    :param bare: whether no unit was typed. :param is_typed: whether a person typed it now, who can be asked; files are read as
        they stand.
    """
    least = what.least_typed
    if least is None or unit.symbol != PER_CENT or not 0 < unit.to_si(value) < least:
        return unit
    if bare and value < 1:
        return next(one for one in what.units if one.symbol == OF_ONE)
    if not is_typed:
        return unit
    meant = f" Did you mean {100 * value:g} %?" if value <= 1 else ""
    raise QuantityRefused(
        f"“{typed}” is kept as typed: {what.label} under {100 * least:g} % is none that practice has.{meant}"
        f" Type it in per cent, for example {100 * max(least, 0.6):g} %, or as a fraction, 0.6."
    )


def _refuse_outside(what: Quantity, typed: str, unit: Unit, value: float | None) -> None:
    if value is None or (math.isfinite(value) and what.low <= value <= what.high):
        return
    low, high = (f"{unit.from_si(bound):,.6g}" for bound in (what.low, what.high))
    hint = ""
    if value > 0 and what.high == 0:
        hint = " It lies below the room's pressure: type it with a minus."
    larger = [
        other for other in what.units if other.factor > unit.factor and value / unit.factor * other.factor >= what.low
    ]
    if 0 < value < what.low and larger:
        hint = f" Did you mean {larger[0].symbol}?"
    named = "" if what.dimension == "money" else f" {unit.symbol}"
    raise QuantityRefused(f"“{typed}” is kept as typed: {what.label} lies between {low} and {high}{named}.{hint}")


def _one_meant(what: Quantity, typed: str, unit: Unit, sign: int, number: str, style: NumberStyle | None) -> Numeral:
    """The reading of a number that can be; asked about where two can. A style decides first; where nothing of it fits, the
    other may.
    """
    meant = numerals(number, style)

    def possible(some: tuple[Numeral, ...]) -> list[Numeral]:
        return [one for one in some if what.low <= unit.to_si(sign * one.value) <= what.high]

    can_be = possible(meant) or possible(numerals(number, None))
    least = LEAST_MEANT.get(what.dimension, 0.0)
    can_be = [one for one in can_be if abs(unit.to_si(one.value)) >= least] or can_be
    if len(can_be) < 2:
        return can_be[0] if can_be else meant[0]
    first, second = sorted(one.value for one in can_be)
    raise QuantityRefused(
        f"“{typed}” is kept as typed: it may be {first:g} or {second:g} {unit.symbol}. Type it without a group mark,"
        f" {first:g} or {second:.0f}; or say once how numbers are written at this site."
    )


def _start(what: Quantity) -> str:
    return what.label[:1].upper() + what.label[1:]


def _unit_list(what: Quantity) -> str:
    symbols = [unit.symbol for unit in what.units if unit.symbol != "money"]
    return ", ".join(symbols) if symbols else "a plain number"


def _example(what: Quantity, units: UnitSystem | None) -> str:
    unit = what.reader_unit(units or "si")
    return f"Type a number, with or without a unit ({_unit_list(what)}); a bare number is taken as {unit.symbol}."
