"""What a calculation is, and how one is worked from typed values to a result with its working and its uncertainty."""

from __future__ import annotations

import math
import re
from collections.abc import Callable, Mapping
from dataclasses import dataclass

from pydantic import Field

from modest_rotor.core.entry import Entry, read_entry
from modest_rotor.core.errors import OutsideValidity, QuantityRefused
from modest_rotor.core.estimate import COVERAGE_95, Estimate, measured
from modest_rotor.core.identify.meters import RECTANGULAR
from modest_rotor.core.phrase import Basis, Frozen
from modest_rotor.core.quantities import UnitSystem, quantity
from modest_rotor.core.say import joined, say
from modest_rotor.core.working import Ingredient, Result, given, result

Value = float | str
Outcome = float | str | None | tuple[float | str | None, ...]
PLUS_MINUS = re.compile(r"±|\+/-|\+-")


@dataclass(frozen=True)
class Input:
    """One value that a calculation asks for.

    :param name: as it is called on the command line. :param symbol: in the formula.
    :param quantity: of a number; ``None`` for words.
    :param choices: the words that are answers; empty where any are.
    :param default: taken where nothing is typed; ``None`` where it must be.
    :param exact: whether it is a count, a nominal value or a size in a table: no uncertainty unless one is typed.
    """

    name: str
    symbol: str
    label: str
    quantity: str | None
    choices: tuple[str, ...] = ()
    default: str | None = None
    exact: bool = False


@dataclass(frozen=True)
class Output:
    """One result: its label, and its quantity or ``None`` for words."""

    label: str
    quantity: str | None


@dataclass(frozen=True)
class Calculation:
    """A calculation.

    :param work: takes the inputs in order, numbers in the unit used inside, and gives one value for each output; ``None``
        where an output does not exist, for example an open upper end.
    """

    name: str
    label: str
    group: str
    inputs: tuple[Input, ...]
    outputs: tuple[Output, ...]
    formula: str
    source: str
    work: Callable[..., Outcome]
    validity: str = ""


class AskedInput(Frozen):
    """An input as it is listed."""

    name: str
    symbol: str
    label: str
    quantity: str | None
    units: tuple[str, ...]
    choices: tuple[str, ...]
    default: str | None


class GivenOutput(Frozen):
    """An output as it is listed."""

    label: str
    quantity: str | None


class CalculationFacts(Frozen):
    """A calculation as it is listed: what it asks for, gives and rests on."""

    name: str
    label: str
    group: str
    formula: str
    source: str
    validity: str
    inputs: tuple[AskedInput, ...]
    outputs: tuple[GivenOutput, ...]


class Calculated(Frozen):
    """What a calculation gave: results with their workings, and what is told in words."""

    name: str
    label: str
    results: tuple[Result, ...]
    words: tuple[str, ...] = Field(default=(), description="outputs that are words, each with its label")


@dataclass(frozen=True)
class _Read:
    """One input as read: its value, its standard deviation where it has one, and whether it was taken for want of one."""

    asked: Input
    value: Value
    standard: float = 0.0
    taken: bool = False


def facts_of(calculation: Calculation) -> CalculationFacts:
    """A calculation as it is listed."""
    return CalculationFacts(
        name=calculation.name,
        label=calculation.label,
        group=calculation.group,
        formula=calculation.formula,
        source=calculation.source,
        validity=calculation.validity,
        inputs=tuple(
            AskedInput(
                name=one.name,
                symbol=one.symbol,
                label=one.label,
                quantity=one.quantity,
                units=tuple(filter(None, (unit.symbol for unit in quantity(one.quantity).units)))
                if one.quantity
                else (),
                choices=one.choices,
                default=one.default,
            )
            for one in calculation.inputs
        ),
        outputs=tuple(GivenOutput(label=one.label, quantity=one.quantity) for one in calculation.outputs),
    )


def calculate(calculation: Calculation, typed: Mapping[str, str], units: UnitSystem | None = None) -> Calculated:
    """Work a calculation.

    :param typed: text for each input: a value with its unit, and its 95 % uncertainty where one is known (``230 V ± 2``, ``± 1 %``).
    :param units: the reader's unit system, which settles a number without a unit.
    :raises QuantityRefused: an input is missing, unknown or unreadable. :raises OutsideValidity: the equation does not hold there.

    The uncertainty of the result comes from each input's uncertainty, or from the last digit typed, to first order. Source: JCGM 100 (GUM), 5.
    """
    _refuse_unknown(calculation, typed)
    read = tuple(_read(calculation, one, typed.get(one.name), units) for one in calculation.inputs)
    values = [one.value for one in read]
    middle = _tuple(calculation.work(*values))
    contributions: list[dict[str, float]] = [{} for _ in middle]
    for place, one in enumerate(read):
        if one.standard and isinstance(one.value, float):
            for index, half in enumerate(_half_difference(calculation, values, place, one.standard)):
                contributions[index][one.asked.label] = half
    ingredients, remarks = _ingredients(read)
    results, words = [], []
    for output, value, contribution in zip(calculation.outputs, middle, contributions, strict=True):
        if value is None:
            continue
        if output.quantity is None or isinstance(value, str):
            words.append(f"{output.label}: {value}")
            continue
        estimate = Estimate(float(value), {name: size for name, size in contribution.items() if size})
        said = (*remarks, calculation.validity) if calculation.validity else remarks
        results.append(
            result(output.label, output.quantity, estimate, calculation.formula, ingredients, calculation.source, said)
        )
    return Calculated(name=calculation.name, label=calculation.label, results=tuple(results), words=tuple(words))


def _refuse_unknown(calculation: Calculation, typed: Mapping[str, str]) -> None:
    names = [one.name for one in calculation.inputs]
    unknown = [name for name in typed if name not in names]
    if unknown:
        raise QuantityRefused(
            say(
                "calculation-refuse-unknown",
                calculation=calculation.name,
                unknown=unknown[0],
                names=joined(", ", names),
            )
        )


def _read(calculation: Calculation, asked: Input, text: str | None, units: UnitSystem | None) -> _Read:
    given_text = (text or "").strip()
    text = given_text or asked.default
    if text is None:
        of = say("calculation-read-of", choices=", ".join(asked.choices)) if asked.choices else ""
        raise QuantityRefused(
            say("calculation-read", calculation=calculation.name, asked=asked.name, asked_2=asked.label, of=of)
        )
    if asked.quantity is None:
        return _Read(asked, _word(asked, text))
    main, *rest = PLUS_MINUS.split(text, maxsplit=1)
    entry = read_entry(asked.quantity, main, units)
    last_digit = 0.0 if asked.exact or not given_text else entry.resolution / RECTANGULAR
    standard = _uncertainty(asked, text, rest[0], entry) / COVERAGE_95 if rest else last_digit
    return _Read(asked, entry.si, standard, taken=not given_text)


def _word(asked: Input, text: str) -> str:
    if not asked.choices:
        return text
    for choice in asked.choices:
        if choice.lower() == text.lower():
            return choice
    raise QuantityRefused(say("calculation-word", text=text, asked=asked.label, choices=", ".join(asked.choices)))


def _uncertainty(asked: Input, text: str, uncertainty: str, entry: Entry) -> float:
    number = re.fullmatch(r"(\d+\.?\d*|\.\d+)\s*(.*)", uncertainty.strip())
    unit = number[2].strip() if number else ""
    if number and unit == "%":
        return abs(entry.si) * float(number[1]) / 100
    named = quantity(asked.quantity or "").unit_named(unit or entry.unit) if number else None
    if number is None or named is None:
        raise QuantityRefused(say("calculation-band", text=text))
    return float(number[1]) * named.factor


def _half_difference(calculation: Calculation, values: list[Value], place: int, standard: float) -> list[float]:
    """Half of what each output changes between one input raised and lowered by its standard deviation."""
    sides = []
    for sign in (1, -1):
        moved = list(values)
        moved[place] = float(values[place]) + sign * standard
        try:
            sides.append(_tuple(calculation.work(*moved)))
        except OutsideValidity:  # on the edge of validity one side is not there: the other says it all
            sides.append(())
    raised, lowered = sides
    middle = _tuple(calculation.work(*values))
    halves = []
    for index, value in enumerate(middle):
        if not isinstance(value, float | int):
            halves.append(0.0)
            continue
        high = raised[index] if raised else value
        low = lowered[index] if lowered else value
        span = 2 if raised and lowered else 1
        halves.append((float(high or 0) - float(low or 0)) / span if math.isfinite(float(value)) else 0.0)
    return halves


def _ingredients(read: tuple[_Read, ...]) -> tuple[tuple[Ingredient, ...], tuple[str, ...]]:
    ingredients, remarks = [], []
    for one in read:
        if one.asked.quantity is None or isinstance(one.value, str):
            remarks.append(f"{one.asked.label}: {one.value}")
            continue
        value = measured(one.value, typed=one.standard)
        basis: Basis = "assumed" if one.taken else "typed"
        origin = say("calculation-ingredients") if one.taken else ""
        ingredients.append(given(one.asked.symbol, one.asked.label, one.asked.quantity, value, basis, origin))
    return tuple(ingredients), tuple(remarks)


def _tuple(outcome: Outcome) -> tuple[float | str | None, ...]:
    return outcome if isinstance(outcome, tuple) else (outcome,)
