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
from modest_rotor.core.say import Number, joined, say

LONGEST_TYPED = 60
LEAST_MEANT = {"rotation": 20.0, "voltage": 3.0, "time": 5.0}
"""By dimension, in the unit used inside, what nobody means where a number can be a thousand times as much: 1.85 rpm, 1.2 h."""
SAME = 1e-6
"""Share by which a file's value may differ from its own text."""
CURRENCY_SIGNS = "$€£"
PER_CENT, OF_ONE = "%", say("entry-these")
OPEN_CIRCUIT = frozenset(("ol", "o.l.", "o.l", "open", "infinite", "∞"))
"""What people type where an ohmmeter shows no connection; kept as the highest resistance that its quantity holds."""
_TYPED = re.compile(
    rf"(?P<sign>[+-]?)\s*(?P<first>{NUMERAL})(?:(?P<by>\s*(?:-|–|to)\s*|(?-i:\s+a\s+))(?P<second>{NUMERAL}))?\s*(?P<unit>.*)",
    re.I,
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

    @property
    def is_bare(self) -> bool:
        """Whether no unit was typed with it."""
        match = _TYPED.fullmatch(plain_fractions(self.typed.lstrip(CURRENCY_SIGNS)).strip())
        return match is not None and not match["unit"].strip() and self.unit != "money"

    @property
    def with_unit(self) -> str:
        """What was typed, with its unit where none was typed with it; an amount of money stays as it is."""
        return f"{self.typed} {self.unit}".strip() if self.is_bare else self.typed

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
            raise ValueError(say("entry-not-finite"))
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
        raise QuantityRefused(
            say(
                "entry-read-entry-takes-most",
                start=_start(what),
                longest_typed=LONGEST_TYPED,
                example=_example(what, units),
            )
        )
    if what.dimension == "resistance" and typed.lower() in OPEN_CIRCUIT:
        return Entry(typed=typed, unit=what.reader_unit(units or "si").symbol, si=what.high)
    bare = typed.lstrip(CURRENCY_SIGNS) if what.dimension in ("money", "money rate") else typed
    match = _TYPED.fullmatch(plain_fractions(bare).strip())
    if match and what.dimension == "current" and (match["by"] or "").strip() == "a":
        match = None  # two readings in amps, as likely as a range
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
        raise QuantityRefused(say("entry-read-entry-runs-downward", typed=typed))
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
        raise QuantityRefused(say("entry-from-data-text-unit", start=_start(quantity(name))))
    _whole(name, data["typed"] + (unit or ""))
    if not data["typed"].strip():
        return None
    entry, said = read_entry(name, data["typed"], unit_symbol=unit), data.get("si")
    if isinstance(said, (int, float)) and not math.isclose(said, entry.si, rel_tol=SAME):
        with suppress(QuantityRefused):  # it may have been typed where a comma is the decimal mark: its value tells
            entry = read_entry(name, data["typed"], unit_symbol=unit, numbers=NumberStyle.COMMA)
    if said is not None and not (isinstance(said, (int, float)) and math.isclose(said, entry.si, rel_tol=SAME)):
        raise QuantityRefused(
            say(
                "entry-from-data-inside-but", typed=entry.typed, unit=entry.unit, entry=Number(entry.si, "g"), said=said
            )
        )
    return entry


def _whole(name: str, text: str) -> str:
    """The text itself, unless it holds half a character, which nothing can be told of or kept."""
    if any("\ud800" <= sign <= "\udfff" for sign in text):
        raise QuantityRefused(say("entry-whole", start=_start(quantity(name))))
    return text


def _refuse_unreadable(what: Quantity, typed: str, unreadable: bool, units: UnitSystem | None) -> None:
    if typed.lstrip("+-−").lower().startswith(("inf", "nan")):
        raise QuantityRefused(
            say("entry-refuse-unreadable-must-finite", start=_start(what), example=_example(what, units))
        )
    if unreadable:
        raise QuantityRefused(
            say("entry-refuse-unreadable-cannot-read", typed=typed, what=what.label, example=_example(what, units))
        )


def _unit(what: Quantity, typed: str, spelling: str, units: UnitSystem | None, unit_symbol: str | None) -> Unit:
    if what.dimension in ("money", "money rate"):
        spelling = spelling.lstrip(CURRENCY_SIGNS).strip()
    found = what.unit_named(spelling or unit_symbol or "")
    if found and (spelling or unit_symbol):
        return found
    if spelling:
        other = dimension_of(spelling)
        means = (
            say("entry-unit-unit", spelling=spelling, other=other)
            if other
            else say("entry-unit-unit-known", spelling=spelling)
        )
        raise QuantityRefused(
            say("entry-unit-kept-typed", typed=typed, means=means, start=_start(what), unit_list=_unit_list(what))
        )
    if units is not None:
        return what.reader_unit(units)
    if what.reader_units["ip"] == what.reader_units["si"]:
        return what.reader_unit("si")
    raise QuantityRefused(say("entry-unit-needs-unit", typed=typed, what=what.label, unit_list=_unit_list(what)))


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
    meant = say("entry-of-one-or-asked-did-you", value=Number(100 * value, "g")) if value <= 1 else ""
    raise QuantityRefused(
        say(
            "entry-of-one-or-asked-kept-typed",
            typed=typed,
            what=what.label,
            least=Number(100 * least, "g"),
            meant=meant,
            least_2=Number(100 * max(least, 0.6), "g"),
        )
    )


def _refuse_outside(what: Quantity, typed: str, unit: Unit, value: float | None) -> None:
    if value is None or (math.isfinite(value) and what.low <= value <= what.high):
        return
    low, high = (f"{unit.from_si(bound):,.6g}" for bound in (what.low, what.high))
    hint = ""
    if value > 0 and what.high == 0:
        hint = say("entry-refuse-outside-lies-below")
    larger = [
        other for other in what.units if other.factor > unit.factor and value / unit.factor * other.factor >= what.low
    ]
    if 0 < value < what.low and larger:
        hint = say("entry-refuse-outside-did-you", symbol=larger[0].symbol)
    named = "" if what.dimension == "money" else f" {unit.symbol}"
    raise QuantityRefused(
        say("entry-refuse-outside-kept-typed", typed=typed, what=what.label, low=low, high=high, named=named, hint=hint)
    )


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
        say(
            "entry-one-meant",
            typed=typed,
            first=Number(first, "g"),
            second=Number(second, "g"),
            symbol=unit.symbol,
            second_2=Number(second, ".0f"),
        )
    )


def _start(what: Quantity) -> str:
    return what.label[:1].upper() + what.label[1:]


def _unit_list(what: Quantity) -> str:
    symbols = [unit.symbol for unit in what.units if unit.symbol != "money"]
    return joined(", ", symbols) if symbols else say("entry-unit-list")


def _example(what: Quantity, units: UnitSystem | None) -> str:
    unit = what.reader_unit(units or "si")
    return say("entry-example", unit_list=_unit_list(what), symbol=unit.symbol)
