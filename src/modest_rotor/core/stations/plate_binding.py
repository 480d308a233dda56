"""Which number belongs to which word of a plate's line: every way is weighed, and two that weigh the same are a doubt.

Plates carry words before their numbers (HP 1/2 V 115), after them (1/2 HP 115 V), and both at once. The way that leaves the
least over is taken; where another one leaves hardly more and says something else, the line is not sure.
"""

from __future__ import annotations

import re
from collections.abc import Callable, Iterator
from dataclasses import dataclass

from modest_rotor.core.stations.plate_tokens import Token, Word

LEFT_NUMBER, LEFT_WORD, LEFT_MAKER = 4.0, 2.0, 0.0
"""What it costs to leave a number or a word unexplained. Our judgement, no source, as are the others."""
JOINED, TORN = -1.0, 2.0
"""For a number joined to its word, and for one torn from the word that it is joined to."""
TURNED, TWO_WORDS, MERGED = 0.6, 0.5, 0.5
"""Where the side of the words changes; for a second word after one number; for two numbers that are read as one."""
SURE_BY = 1.0
"""By how much the best way must be better than one that says something else."""
KEPT_BINDINGS = 24


@dataclass(frozen=True)
class Bound:
    """A number with the words that name it.

    :param first: place of its first token, ``last`` of its last, ``at`` of the number. :param numbers: the number's text.
    """

    first: int
    last: int
    at: int
    numbers: str
    word: Word
    unit: str


@dataclass(frozen=True)
class _Binding:
    cost: float
    bounds: tuple[Bound, ...] = ()
    used: int = -1
    """The last token that is explained."""
    led: bool | None = None


Judge = Callable[[Bound], float | None]
"""What taking a number for something costs: nothing where it is ordinary, ``None`` where it cannot be."""


def bindings(found: tuple[Token, ...], judge: Judge) -> list[tuple[float, tuple[Bound, ...]]]:
    """The best ways to give every number its word, the best first, each with its cost.

    :param found: the tokens of a line. :param judge: tells what a number can be.

    Source: best-first search; costs our judgement.
    """
    found_so_far = [_Binding(0.0)]
    for place, token in enumerate(found):
        following: list[_Binding] = []
        for binding in found_so_far:
            if binding.used >= place:
                following.append(binding)
                continue
            left = LEFT_NUMBER if token.is_number else _left_word(token)
            following.append(_Binding(binding.cost + left, binding.bounds, binding.used, binding.led))
            if token.is_number:
                following += _with_number(found, place, binding, judge)
        found_so_far = _best(following)
    return [(binding.cost, binding.bounds) for binding in found_so_far]


def _left_word(token: Token) -> float:
    return LEFT_MAKER if token.word is not None and token.word.kind == "maker" else LEFT_WORD


def _with_number(found: tuple[Token, ...], place: int, binding: _Binding, judge: Judge) -> Iterator[_Binding]:
    """Every way in which the number at a place takes words around it."""
    for last, numbers, merged in _merged(found, place):
        for word, unit, end, paid, led in _names(found, place, last, binding):
            bound = Bound(place - (led is not False), end, place, numbers, word, unit)
            judged = judge(bound)
            if judged is None:
                continue
            joins = _joins(found, place, last, binding, led is not False, end)
            turned = TURNED if led is not None and binding.led is (not led) and joins >= 0 else 0.0
            side = binding.led if led is None else led
            yield _Binding(binding.cost + merged + paid + judged + turned + joins, (*binding.bounds, bound), end, side)


def _merged(found: tuple[Token, ...], place: int) -> Iterator[tuple[int, str, float]]:
    """The number itself, and together with the next one where the two may be one, with what that costs."""
    yield place, found[place].text, 0.0
    if place + 1 < len(found) and found[place + 1].is_number and not found[place + 1].parted:
        both = f"{found[place].text} {found[place + 1].text}"
        if re.fullmatch(r"\d{1,2} \d{1,2}/\d{1,2}|[1-9]\d{0,2} \d{3}(?:[.,]\d+)?", both):
            yield place + 1, both, MERGED


def _names(
    found: tuple[Token, ...], place: int, last: int, binding: _Binding
) -> Iterator[tuple[Word, str, int, float, bool | None]]:
    """The words that may name a number: the word, its unit, the last token that it takes, what it costs, and whether it leads.

    A number between a word and its unit (AMPS 7.4 A) tells nothing of the side.
    """
    before = found[place - 1] if place and binding.used < place - 1 and not found[place].parted else None
    led = before.word if before is not None and before.word and before.word.may_lead else None
    back = -_left_word(before) if before is not None else 0.0  # it was taken for left over
    after, beyond = _word_after(found, last), _word_after(found, last + 1)
    if led is not None:
        yield led, led.unit, last, back, True
    if after is None or not after.may_follow:
        return
    yield after, after.unit, last + 1, 0.0, False
    if led is not None and led.family == after.family:
        yield led, after.unit or led.unit, last + 1, back, None
    if beyond is not None and beyond.family == after.family and beyond.kind != after.kind:
        yield beyond, after.unit or beyond.unit, last + 2, TWO_WORDS, False


def _word_after(found: tuple[Token, ...], place: int) -> Word | None:
    follows = place + 1 < len(found) and not found[place + 1].parted
    return found[place + 1].word if follows else None


def _joins(found: tuple[Token, ...], place: int, last: int, binding: _Binding, led: bool, end: int) -> float:
    """For joined words that are taken, and those that are torn off."""
    before = found[place]
    joined_before = (
        place > 0 and binding.used < place - 1 and found[place - 1].word and (before.joined or before.pointed)
    )
    joined_after = last + 1 < len(found) and found[last + 1].word is not None and found[last + 1].joined
    cost = 0.0
    if joined_before:
        cost += JOINED if led else TORN
    if joined_after:
        cost += JOINED if end > last else TORN
    return cost


def _best(found: list[_Binding]) -> list[_Binding]:
    """The cheapest, one for each set of bounds."""
    seen: dict[tuple[tuple[Bound, ...], int], _Binding] = {}
    for binding in sorted(found, key=lambda one: one.cost):
        seen.setdefault((binding.bounds, binding.used), binding)
    return list(seen.values())[:KEPT_BINDINGS]
