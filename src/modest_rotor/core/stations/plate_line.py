"""A plate typed as it stands: words before their numbers or after them, in any order and case, in one line or in rows.

Each piece is told as what it is taken for. What can be two things, and what cannot be beside the rest, is asked about and
written nowhere; what is not recognised stays in the line.
"""

from __future__ import annotations

import re
from collections.abc import Callable, Iterator
from dataclasses import dataclass
from typing import Any

from modest_rotor.core.entry import Entry, read_entry
from modest_rotor.core.errors import QuantityRefused
from modest_rotor.core.numerals import NumberStyle, plain_fractions
from modest_rotor.core.phrase import Frozen
from modest_rotor.core.say import joined, say, small
from modest_rotor.core.stations.nameplate import Nameplate, Protection, Rotation, SeenFrom
from modest_rotor.core.stations.plate_amounts import Kinds
from modest_rotor.core.stations.plate_binding import SURE_BY, Bound, bindings
from modest_rotor.core.stations.plate_tokens import Token, tokens, word_named
from modest_rotor.core.stations.plate_values import Told, Values, told_of
from modest_rotor.core.stations.sheet import quantity_of, words_of

START, END = r"(?<![\w./])", r"(?![\w/])"
CONTRADICTED = 3.0
"""What a contradiction among its values costs one way of reading a line."""
BINDINGS_WEIGHED = 8
STRAY = " ,;|·()\t\n\r"


class LinePiece(Frozen):
    """A stretch of the line: what it was taken for, or nothing where it was not recognised.

    ``refused`` says why its value is not written: it cannot be, or it must be asked about first.
    """

    text: str
    taken_for: str | None = None
    refused: str | None = None


@dataclass(frozen=True)
class ReadLine:
    """The whole line, piece by piece, and the plate's fields that follow from it."""

    pieces: tuple[LinePiece, ...]
    values: Values


@dataclass(frozen=True)
class _Pattern:
    """How one kind of piece that stands for itself looks, and which fields it gives."""

    form: re.Pattern[str]
    gives: Callable[[re.Match[str]], Values]


@dataclass
class _Found:
    """A recognised stretch of one row."""

    start: int
    end: int
    values: Values
    means: str = ""
    asks: str = ""


def read_line(text: str, style: NumberStyle | None = NumberStyle.POINT) -> ReadLine:
    """Read a plate's line, or its rows.

    :param text: what was typed or pasted, at most a few hundred characters.
    :param style: how numbers are written at its site; ``None`` where that is not known.
    :returns: every piece in the order in which it stands; ``values`` holds typed text for quantities and answers for choices,
        ready to be put into the plate's fields. A piece that is refused or asked about gives nothing.

    The words are those of table ``plate_words``; the rest are abbreviations that plates carry. Common practice, no source.
    """
    pieces: list[LinePiece] = []
    values: Values = {}
    rows = [(row, _found_in(row, Kinds(style))) for row in _rows(plain_fractions(text))]
    differ = _said_differently([found for _, row in rows for found in row])
    for row, found in rows:
        for one in found:
            clash = next((name for name in one.values if name in differ), None)
            if clash and not one.asks:
                one.asks = say("plate-line-read-line", title=_title(clash))
            one.asks = one.asks or _refusal(one.values)
            if not one.asks:
                values |= one.values
        pieces += _with_the_rest(row, found)
    return ReadLine(tuple(pieces), values)


def _said_differently(found: list[_Found]) -> set[str]:
    seen: dict[str, object] = {}
    differ = set()
    for one in found:
        for name, value in one.values.items():
            if seen.setdefault(name, value) != value:
                differ.add(name)
    return differ


def _rows(text: str) -> Iterator[str]:
    """The rows of what was pasted; one of words above (or below) one of as many values become pairs, word and value."""
    rows = [row for row in text.splitlines() if row.strip()]
    at = 0
    while at < len(rows):
        if at + 1 < len(rows):
            pairs = _paired(rows[at], rows[at + 1]) or _paired(rows[at + 1], rows[at])
            if pairs:
                yield "\n".join(f"{word}: {value}" for word, value in pairs)
                at += 2
                continue
        yield rows[at]
        at += 1


def _paired(words: str, values: str) -> list[tuple[str, str]] | None:
    """Words and values that stand under one another."""
    for parts in (r"\s{2,}|\t|\|", r"\s+"):
        names, below = (_cells(row, parts) for row in (words, values))
        if parts == r"\s+":
            names = _joined_words(names)
        known = [name for name in names if word_named(name) or LETTERED.fullmatch(name)]
        numbers = [cell for cell in below if re.search(r"\d", cell)]
        if len(names) == len(below) >= 2 and len(known) >= 2 and 2 * len(known) >= len(names) and numbers:
            if any(re.search(r"\d", name) and not word_named(name) for name in names):
                return None
            if any(word_named(cell) for cell in below):
                return None
            return list(zip(names, below, strict=True))
    return None


def _cells(row: str, parts: str) -> list[str]:
    return [cell.strip(" .:") for cell in re.split(parts, row.strip()) if cell.strip(" .:")]


def _joined_words(names: list[str]) -> list[str]:
    """Names of two words, such as INS CL, as one."""
    joined: list[str] = []
    for name in names:
        both = f"{joined[-1]} {name}" if joined else ""
        if joined and (word_named(both) or LETTERED.fullmatch(both)):
            joined[-1] = both
        else:
            joined.append(name)
    return joined


def _found_in(row: str, kinds: Kinds) -> list[_Found]:
    """What is recognised in one row, in the order in which it stands."""
    left, found = row, []
    for pattern in PATTERNS:
        for match in pattern.form.finditer(left):
            given = pattern.gives(match)
            found.append(_Found(match.start(), match.end(), given))
            left = left[: match.start()] + "\0" * (match.end() - match.start()) + left[match.end() :]
    cut = tokens(left)
    found += [
        _Found(cut[one.bound.first].start, cut[one.bound.last].end, one.values, one.means, one.asks)
        for one in _best_way(cut, kinds)
    ]
    return sorted(found, key=lambda one: one.start)


def _best_way(cut: tuple[Token, ...], kinds: Kinds) -> list[Told]:
    """The pieces of the best way to read a row's numbers; where another is hardly worse, what differs is asked about."""
    weighed = []
    for cost, bounds in bindings(cut, kinds.judge)[:BINDINGS_WEIGHED]:
        told = told_of(bounds, kinds)
        against = len({one.asks for one in told if one.contradicts})
        weighed.append((cost + CONTRADICTED * against, bounds, told))
    if not weighed:
        return []
    weighed.sort(key=lambda one: one[0])
    best, bounds, told = weighed[0]
    for cost, others, _ in weighed[1:]:
        if cost - best < SURE_BY:
            _doubt(told, others)
    return told


def _doubt(told: list[Told], others: tuple[Bound, ...]) -> None:
    """Ask about every number that another way, hardly worse, gives to another word."""
    meant = {one.at: one.word.kind for one in others}
    for one in told:
        other = meant.get(one.bound.at)
        if other != one.bound.word.kind and not one.asks:
            also = other.replace("_", " ") if other else say("plate-line-doubt-nothing")
            one.asks = say("plate-line-doubt-may-belong", numbers=one.bound.numbers, also=also)


def fields_changed(plate: Nameplate, values: Values) -> tuple[str, ...]:
    """The titles of the fields that a line's values would change on a plate."""
    now, then = plate, Nameplate.model_validate(plate.model_dump() | values)
    differ = (name for name in values if _said(now, name) != _said(then, name))
    return tuple(Nameplate.model_fields[name].title or name for name in differ)


def _said(plate: Nameplate, name: str) -> Any:
    value = getattr(plate, name)
    return (value.low, value.si) if isinstance(value, Entry) else value


def _with_the_rest(row: str, found: list[_Found]) -> Iterator[LinePiece]:
    at = 0
    for one in [*found, None]:
        between = row[at : one.start if one else len(row)].strip(STRAY)
        if between:
            yield LinePiece(text=between)
        if one is not None:
            text = re.sub(r"\s+", " ", row[one.start : one.end]).strip()
            yield LinePiece(text=text, taken_for=one.means or _words(one.values) or None, refused=one.asks or None)
            at = one.end


def _words(values: Values) -> str:
    return joined(
        ", ",
        (
            say("plate-line-words", title=small(_title(name)), words=words_of(Nameplate, name, value))
            for name, value in values.items()
        ),
    )


def _title(name: str) -> str:
    return Nameplate.model_fields[name].title or name


def _refusal(values: Values) -> str:
    for name, value in values.items():
        quantity = quantity_of(Nameplate, name)
        try:
            if quantity:
                read_entry(quantity, str(value))
        except QuantityRefused as refusal:
            return refusal.sentence
    return ""


def _pattern(form: str, gives: Callable[[re.Match[str]], Values]) -> _Pattern:
    return _Pattern(re.compile(START + form + END, re.IGNORECASE), gives)


def _phases(match: re.Match[str]) -> Values:
    word = next(group for group in match.groups() if group).upper()
    return {"phases": 3 if word in ("3", "THREE") else 1}


def _rotation(match: re.Match[str]) -> Values:
    turn, seen = match[1].upper(), (match[2] or "").upper()
    rotation = {"CW": Rotation.CLOCKWISE, "CCW": Rotation.COUNTER, "ACW": Rotation.COUNTER}.get(turn, Rotation.EITHER)
    given: Values = {"rotation": str(rotation)}
    at_leads = seen.startswith(("L", "O"))  # opposite the shaft is where the leads come out
    return given | (
        {"rotation_seen_from": (SeenFrom.LEAD_END if at_leads else SeenFrom.SHAFT_END).value} if seen else {}
    )


def _protection(match: re.Match[str]) -> Values:
    word = match[0].upper()
    if "MAN" in word:
        return {"protection": Protection.MANUAL.value}
    if "IMP" in word or word == "ZP":
        return {"protection": Protection.IMPEDANCE.value}
    return {"protection": (Protection.AUTOMATIC if "AUTO" in word else Protection.THERMAL).value}


SEEN_FROM = r"(LE|SE|OSE|ODE|DE|LEAD END|SHAFT END|OPP(?:OSITE)?\.? SHAFT END)"
LETTERED = re.compile(
    r"(?:FRAME|FR)\.?|INS(?:UL(?:ATION)?)?\.?(?:\s*CL(?:ASS)?\.?)?|CL(?:ASS)?\.?|CODE|KVA(?:\s*CODE)?|DUTY|ROT(?:ATION)?\.?|ENCL?(?:OSURE)?\.?",
    re.IGNORECASE,
)
"""Words that name letters instead of a number."""
PATTERNS: tuple[_Pattern, ...] = (
    _Pattern(re.compile(START + r"([13])\s*[~∼](?:\s*MOT(?:OR)?\b\.?)?", re.IGNORECASE), _phases),
    _pattern(r"[~∼]\s*([13])|(SINGLE|THREE)[\s-]*(?:PHASE|PH|Ø)\.?|([13])-(?:PHASE|PH)\.?", _phases),
    _pattern(r"(?:MAX\.?\s*)?AMB(?:IENT)?\.?\s*:?\s*(\d{2})\s*°?\s*C|(\d{2})\s*°?\s*C\s*(?:MAX\.?\s*)?AMB(?:IENT)?\.?", lambda match: {"ambient": f"{match[1] or match[2]} °C"}),
    _pattern(r"(?:Δ|D|DELTA)\s*/\s*(?:Y|λ|STAR|WYE)", lambda match: {}),
    _pattern(r"(?:FRAME|FR)\.?\s*:?\s*(\d{2,3}[A-Z]{0,3}|\d{2,3}-\d{2,3})", lambda match: {"frame": match[1].upper()}),
    _pattern(
        r"(?:(?:INS(?:UL(?:ATION)?)?|ISO(?:L(?:ATION)?)?|TH)\.?\s*(?:(?:CL(?:ASS)?|KL)\.?)?|CL(?:ASS|\.)?)\s*[:.]?\s*([ABFH])",
        lambda match: {"insulation": match[1].upper()},
    ),
    _pattern(r"(?:KVA\s*CODE|CODE|KVA)\s*:?\s*([A-HJ-NPR-V])", lambda match: {"code_letter": match[1].upper()}),
    _pattern(r"IE\s?([1-4])", lambda match: {"efficiency_class": f"IE{match[1]}"}),
    _pattern(
        r"(?:ENCL?(?:OSURE)?\.?\s*:?\s*)?(IP\s?[0-6X][0-9X]|TEFC|TENV|TEAO|ODP|OPAO|OPEN)",
        lambda match: {"enclosure": match[1].upper().replace(" ", "")},
    ),
    _pattern(
        r"(?:DUTY\s*:?\s*)?(CONT(?:INUOUS)?\.?(?:\s*DUTY)?|AIR[\s-]OVER|AO|S[1-9]|\d{2} MIN\.?(?!\s*[-⁻^]))",
        lambda match: {"duty": _duty(match[1])},
    ),
    _pattern(rf"ROT(?:ATION)?\.?\s*:?\s*(CCW|CW|ACW|REV)(?:\s*{SEEN_FROM})?", _rotation),
    _pattern(rf"(CCW|CW|ACW|REV(?:ERSIBLE)?)\s*{SEEN_FROM}?", _rotation),
    _pattern(
        r"(?:THERM(?:ALLY)?\.?\s*PROT(?:ECTED)?\.?(?:\s*[-–,:]?\s*(?:AUTO(?:MATIC)?|MAN(?:UAL)?)\.?)?(?:\s*RESET)?|AUTO(?:MATIC)?\s*RESET|"
        r"MAN(?:UAL)?\s*RESET|IMP(?:EDANCE)?\.?\s*PROT(?:ECTED)?\.?|ZP|TP)",
        _protection,
    ),
)  # fmt: skip
"""Pieces that stand for themselves, in the order in which they are looked for; numbers and their words come after them."""


def _duty(text: str) -> str:
    plain = text.lower().replace("-", " ").strip(".")
    if plain.startswith("cont"):
        return "continuous"
    return say("term-air-over") if plain == "ao" else plain
