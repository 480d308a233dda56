"""What the numbers of a plate's line stand for: the fields that they fill, and what must be asked before anything is written."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass, field
from typing import Any

from modest_rotor.core.errors import QuantityRefused
from modest_rotor.core.numerals import Numeral, numerals
from modest_rotor.core.say import Number, say
from modest_rotor.core.stations.nameplate import PowerIs
from modest_rotor.core.stations.plate_amounts import (
    CAPACITOR_VOLTS,
    NEVER_LINE_VOLTS,
    ORDINARY,
    Amount,
    Kinds,
    is_fraction,
)
from modest_rotor.core.stations.plate_binding import Bound

Values = dict[str, Any]
WATTS = {"hp": 745.7, "PS": 735.5, "kW": 1000.0, "W": 1.0}
ONE_CONNECTION, TWO_CONNECTIONS = 1.25, (1.6, 2.2)
"""Ratios of two volts up to which they are one connection's range (208/230); and between which they are two (115/230, 230/400)."""
AMPS_APART = 0.25
"""Share by which amps of two connections may leave the inverse ratio of their volts."""
SAME_POWER = 0.08
"""Share within which a power in horsepower and one in kilowatts are the same, rounded to the sizes of two standards."""
MOST_OF_VOLT_AMPS, LEAST_OF_VOLT_AMPS, SMALL_W = 1.0, (0.12, 0.02), 60.0
"""Share of volts × amps that a shaft gives at the most; and at the least, above and below so many watts. Common practice."""
MOST_DUAL_UF, LEAST_DUAL_RATIO = 100.0, 2.0


@dataclass
class Told:
    """A bound piece: the fields that it gives, what it is, and what must be asked first."""

    bound: Bound
    amount: Amount
    values: Values = field(default_factory=dict)
    means: str = ""
    asks: str = ""
    contradicts: bool = False


def told_of(bounds: Iterable[Bound], kinds: Kinds) -> list[Told]:
    """The pieces with what they give, each by itself and then held against one another."""
    named = [bound for bound in bounds if bound.word.kind != "maker"]
    told = [Told(bound, amount) for bound in named if (amount := kinds.amount(bound))]
    outside = [Told(bound, Amount(()), asks=_outside(bound)) for bound in named if not kinds.amount(bound)]
    of = {kind: [one for one in told if one.bound.word.kind == kind] for kind in ORDINARY}
    for one in told:
        if one.amount.doubtful:
            one.asks = say("plate-values-told-of-can-two", numbers=one.bound.numbers)
    _capacitors(of["capacitor"] + of["start_capacitor"], of["volts"])
    _volts(of["volts"], any(len(one.amount.flat) > 1 for one in of["frequency"]))
    _amps(of["amps"], of["service_amps"], of["volts"])
    _powers(of["power"], of["input"])
    _speeds(of["speed"], of["frequency"])
    for kind, name, unit in SINGLE:
        for one in of[kind]:
            _give(one, {name: _text(one.amount.groups[0][0], one.bound.numbers, unit)})
    for one in of["phases"]:
        _give(one, {"phases": int(one.amount.flat[0])})
    for one in of["locked_amps"]:
        one.means = say("plate-values-told-of-locked-rotor")
    _twice(told)
    _contradictions(told)
    return told + outside


def _outside(bound: Bound) -> str:
    kind = bound.word.kind.replace("_", " ")
    return say("plate-values-outside", numbers=bound.numbers, unit=bound.unit or kind)


SINGLE = (
    ("service_factor", "service_factor", ""),
    ("efficiency", "nominal_efficiency", "%"),
    ("power_factor", "power_factor", ""),
    ("ambient", "ambient", "°C"),
)


def _give(one: Told, values: Values) -> None:
    if not one.asks:
        one.values |= values


def _text(number: Numeral, text: str, unit: str) -> str:
    """A number as a field reads it: as it stands where it reads the same there, else in plain digits."""
    plain = text.strip()
    try:
        same = numerals(plain)[0].value == number.value
    except (QuantityRefused, ValueError):
        same = False
    return f"{plain if same else f'{number.value:g}'} {unit}".strip()


def _range(group: tuple[Numeral, ...], unit: str) -> str:
    return "-".join(f"{one.value:g}" for one in group) + f" {unit}"


def _exact(number: Numeral, unit: str) -> str:
    """A number with as many decimals as it was printed with."""
    decimals = max(0, round(-_log10(number.last_digit))) if number.last_digit else 4
    return f"{number.value:.{decimals}f} {unit}".strip()


def _log10(value: float) -> float:
    return len(f"{value:.0f}") - 1 if value >= 1 else -float(len(f"{1 / value:.0f}") - 1)


def _capacitors(found: list[Told], volts: list[Told]) -> None:
    """Run and start capacitors, and the volts that stand on their own labels."""
    for one in found:
        tops, groups = one.amount.tops, one.amount.groups
        starts = one.bound.word.kind == "start_capacitor" or len(groups[0]) == 2
        if starts:
            _give(
                one,
                {"start_capacitance": _range(groups[0], "µF") if len(groups[0]) == 2 else _exact(groups[0][0], "µF")},
            )
        elif len(tops) == 2:
            if max(tops) > MOST_DUAL_UF or max(tops) < LEAST_DUAL_RATIO * min(tops):
                one.asks = one.asks or say("plate-values-capacitors-two-sections")
            smaller = min(groups, key=lambda group: group[0].value)
            _give(one, {"run_capacitance": _exact(smaller[0], "µF"), "shared_capacitor": "yes"})
        else:
            if tops[0] > MOST_DUAL_UF * 2:
                one.asks = one.asks or say("plate-values-capacitors-run-capacitor")
            _give(one, {"run_capacitance": _exact(groups[0][0], "µF")})
        after = [other for other in volts if other.bound.first == one.bound.last + 1]
        for other in after:
            _capacitor_volts(one, other, [rest for rest in volts if rest is not other], starts)


def _capacitor_volts(one: Told, other: Told, rest: list[Told], starts: bool) -> None:
    """Whether the volts just after the µF are the capacitor's own."""
    flat = other.amount.flat
    if len(flat) != 1 or round(flat[0]) not in CAPACITOR_VOLTS:
        return
    is_dual = len(one.amount.tops) == 2  # nothing but a capacitor is printed so
    if not rest and not is_dual and round(flat[0]) not in NEVER_LINE_VOLTS:
        other.asks = say("plate-values-capacitor-volts-these-capacitor")
        return
    other.means = say("plate-values-capacitor-volts-volts-start") if starts else ""
    if not starts:
        _give(other, {"capacitor_voltage": _exact(other.amount.groups[0][0], "V")})
    other.amount = Amount(())


def _volts(found: list[Told], two_frequencies: bool) -> None:
    for one in found:
        groups = one.amount.groups
        if not groups:
            continue
        connections = _connections(groups)
        if connections is not None and two_frequencies and len(groups) > len(connections):
            connections = None  # it may be one for each frequency
        if connections is None:
            one.asks = one.asks or say("plate-values-volts")
            continue
        first, *second = connections
        _give(
            one, {"rated_voltage": _range(first, "V")} | ({"second_voltage": _range(second[0], "V")} if second else {})
        )


def _connections(groups: tuple[tuple[Numeral, ...], ...]) -> list[tuple[Numeral, ...]] | None:
    """The volts of each connection, the lower first; nothing where that is not plain."""
    merged: list[tuple[Numeral, ...]] = []
    for group in sorted(groups, key=lambda one: one[-1].value):
        if len(group) == 2 and not group[0].value < group[1].value <= ONE_CONNECTION * group[0].value:
            return None
        if merged and group[-1].value <= ONE_CONNECTION * merged[-1][0].value:
            merged[-1] = (merged[-1][0], group[-1])
        else:
            merged.append(group)
    low, high = TWO_CONNECTIONS
    if len(merged) > 2 or (len(merged) == 2 and not low <= merged[1][-1].value / merged[0][-1].value <= high):
        return None
    return merged


def _amps(found: list[Told], service: list[Told], volts: list[Told]) -> None:
    """Full-load amps of each connection, those of a range at its upper volts."""
    known = [one for one in volts if "rated_voltage" in one.values]
    doubted = any(one.asks for one in volts)
    for one in found:
        per = _per_connection(one.amount, known[0] if len(known) == 1 else None)
        if per is None or doubted:
            words = say("plate-values-amps-volts-type")
            one.asks = one.asks or (words if len(one.amount.flat) > 1 or doubted or per is None else "")
        if per is None:
            continue
        _give(
            one,
            {"rated_current": _exact(per[0], "A")} | ({"second_current": _exact(per[1], "A")} if len(per) > 1 else {}),
        )
    for one in service:
        if len(one.amount.flat) > 1:
            one.asks = one.asks or say("plate-values-amps-one-each")
        _give(one, {"service_factor_current": _exact(one.amount.groups[0][0], "A")})


def _per_connection(amount: Amount, volts: Told | None) -> tuple[Numeral, ...] | None:
    """One number for each connection of the volts; nothing where they do not go together."""
    numbers = [one for group in amount.groups for one in group]
    if volts is None:
        return (numbers[0],) if len(numbers) == 1 else None
    groups = _connections(volts.amount.groups) or []
    descending = sorted(volts.amount.flat) == list(volts.amount.flat)
    if not descending:
        numbers = numbers[::-1]
    if len(numbers) == sum(len(group) for group in groups):  # one for every number of volts
        ends, at = [], 0
        for group in groups:
            ends.append(numbers[at + len(group) - 1])
            at += len(group)
    elif len(numbers) == len(groups):
        ends = numbers
    elif len(groups) == 1 and len(numbers) == 2:
        ends = [min(numbers, key=lambda one: one.value)]
    else:
        return None
    if len(ends) == 2:
        ratio = ends[0].value / ends[1].value / (groups[1][-1].value / groups[0][-1].value)
        if abs(ratio - 1) > AMPS_APART:
            return None
    return tuple(ends)


def _powers(found: list[Told], taken: list[Told]) -> None:
    """The shaft's power; what the line gives stands for it only where nothing else does, and says so."""
    for one in found:
        if len(one.amount.flat) > 1:
            one.asks = one.asks or say("plate-values-powers-one-each")
        _give(one, {"rated_power": _power_text(one)})
    for one in taken:
        if found:
            one.means = say("plate-values-powers-power-taken")
        else:
            _give(one, {"rated_power": _power_text(one), "power_is": PowerIs.LINE.value})


def _power_text(one: Told) -> str:
    if is_fraction(one.bound.numbers):
        return f"{one.bound.numbers} {one.bound.unit}"
    return _exact(one.amount.groups[0][0], one.bound.unit)


def power_w(one: Told) -> float:
    """Watts of a piece that tells a power.

    :param one: bound to a unit of power. Source: its factors, ``WATTS``.
    """
    return one.amount.groups[0][0].value * WATTS[one.bound.unit]


def _speeds(found: list[Told], hertz: list[Told]) -> None:
    """Rated speed; of one for each tap the highest, and of one for each frequency neither before the frequency is told."""
    several = [one for one in hertz if len(one.amount.flat) > 1]
    for one in several:
        one.asks = one.asks or say("plate-values-speeds-two-does")
    for one in hertz:
        _give(one, {"frequency": _exact(one.amount.groups[0][0], "Hz")})
    for one in found:
        speeds = [speed for group in one.amount.groups for speed in group]
        if several and len(speeds) > 1:
            one.asks = one.asks or say("plate-values-speeds-one-each")
        top = max(speeds, key=lambda speed: speed.value)
        _give(one, {"rated_speed": _exact(top, "rpm")})
        if len(speeds) > 1:
            one.means = say("plate-values-speeds-rated-speed", top=Number(top.value, "g"))


def _twice(told: list[Told]) -> None:
    """What is said twice in the same words counts once; what is said twice and differs is asked about."""
    seen: dict[str, Told] = {}
    for one in told:
        for name in list(one.values):
            first = seen.setdefault(name, one)
            if first is one:
                continue
            if first.values.get(name) == one.values[name] or _same_power(name, first, one):
                del one.values[name]
                one.means = say("plate-values-twice-same-once")
            else:
                for each in (first, one):
                    each.contradicts = True
                    each.asks = each.asks or say(
                        "plate-values-twice-said-twice", numbers=first.bound.numbers, numbers_2=one.bound.numbers
                    )


def _same_power(name: str, first: Told, one: Told) -> bool:
    return name == "rated_power" and abs(power_w(first) / power_w(one) - 1) < SAME_POWER


def _contradictions(told: list[Told]) -> None:
    """Hold back what cannot stand beside the rest."""
    by = {name: one for one in told for name in one.values if not one.asks}
    power, volts, amps = by.get("rated_power"), by.get("rated_voltage"), by.get("rated_current")
    if power and volts and amps and "power_is" not in power.values:
        _power_against_volt_amps(power, volts, amps, by.get("phases"))
    speed, hertz = by.get("rated_speed"), by.get("frequency")
    if speed and hertz and max(speed.amount.flat) > 60 * hertz.amount.flat[0]:
        _ask(
            (speed, hertz),
            say(
                "plate-values-contradictions-motor-turns",
                flat=Number(max(speed.amount.flat), "g"),
                flat_2=Number(hertz.amount.flat[0], "g"),
            ),
        )
    service = by.get("service_factor_current")
    if service and amps and "second_current" not in amps.values and service.amount.flat[0] < min(amps.amount.flat):
        _ask((service, amps), say("plate-values-contradictions-service-factor"))


def _power_against_volt_amps(power: Told, volts: Told, amps: Told, phases: Told | None) -> None:
    watts, three = power_w(power), 3**0.5
    connection = (_connections(volts.amount.groups) or [])[0][-1].value
    current = float(str(amps.values["rated_current"]).split()[0])
    one_phase = connection * current
    counted = int(phases.amount.flat[0]) if phases else 0
    most = one_phase * (1.0 if counted == 1 else three) * MOST_OF_VOLT_AMPS
    least = one_phase * (three if counted == 3 else 1.0) * LEAST_OF_VOLT_AMPS[watts < SMALL_W]
    if least <= watts <= most:
        return
    pieces = (power, volts, amps, *([phases] if phases else []))
    side = (
        say("plate-values-power-against-volt-amps-more")
        if watts > most
        else say("plate-values-power-against-volt-amps-far-less")
    )
    _ask(
        pieces,
        say(
            "plate-values-power-against-volt-amps-w-v",
            watts=Number(watts, ",.0f"),
            side=side,
            connection=Number(connection, "g"),
            current=Number(current, "g"),
        ),
    )


def _ask(pieces: Iterable[Told], sentence: str) -> None:
    for one in pieces:
        one.asks, one.contradicts = one.asks or sentence, True
