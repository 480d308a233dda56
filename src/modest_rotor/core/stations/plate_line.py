"""A plate typed as one line, in any order and case: each piece as what it is taken for, the rest left standing."""

from __future__ import annotations

import re
from collections.abc import Callable, Iterator
from dataclasses import dataclass
from typing import Any

from modest_rotor.core.entry import Entry, read_entry
from modest_rotor.core.errors import QuantityRefused
from modest_rotor.core.phrase import Frozen
from modest_rotor.core.stations.plate import Plate, Protection, Rotation
from modest_rotor.core.stations.sheet import quantity_of

Values = dict[str, Any]
NUMBER = r"\d+(?:\.\d+)?|\.\d+"
DECIMAL = rf"(?:{NUMBER})"
START, END = r"(?<![\w./])", r"(?![\w/])"


class LinePiece(Frozen):
    """A stretch of the line: what it was taken for, or nothing where it was not recognised."""

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
    """How one kind of piece looks, and which fields it gives."""

    form: re.Pattern[str]
    gives: Callable[[re.Match[str]], Values]


def read_line(text: str) -> ReadLine:
    """Read a plate's line.

    :param text: what was typed, at most a few hundred characters.
    :returns: every piece in the order in which it stands; ``values`` holds typed text for quantities and answers for choices,
        ready to be put into the plate's fields. A piece whose value its field refuses is marked and gives nothing.

    What was not recognised is a piece that is taken for nothing. The abbreviations are those that plates carry; common
    practice, no source.
    """
    found: list[tuple[int, int, LinePiece]] = []
    values: Values = {}
    left = text
    for pattern in PATTERNS:
        for match in pattern.form.finditer(left):
            given = {name: value for name, value in pattern.gives(match).items() if name not in values}
            if not given:
                continue
            refused = _refusal(given)
            if refused is None:
                values |= given
            piece = LinePiece(text=text[match.start() : match.end()], taken_for=_words(given), refused=refused)
            found.append((match.start(), match.end(), piece))
            left = left[: match.start()] + "\0" * (match.end() - match.start()) + left[match.end() :]
    return ReadLine(tuple(_with_the_rest(text, sorted(found, key=lambda one: one[0]))), values)


def fields_changed(plate: Plate, values: Values) -> tuple[str, ...]:
    """The titles of the fields that a line's values would change on a plate."""
    now, then = plate, Plate.model_validate(plate.model_dump() | values)
    differ = (name for name in values if _said(now, name) != _said(then, name))
    return tuple(Plate.model_fields[name].title or name for name in differ)


def _said(plate: Plate, name: str) -> Any:
    value = getattr(plate, name)
    return (value.low, value.si) if isinstance(value, Entry) else value


def _with_the_rest(text: str, found: list[tuple[int, int, LinePiece]]) -> Iterator[LinePiece]:
    at = 0
    for start, end, piece in [*found, (len(text), len(text), None)]:
        between = text[at:start].strip(" ,;|·\t\n")
        if between:
            yield LinePiece(text=between)
        if piece is not None:
            yield piece
        at = end


def _words(values: Values) -> str:
    titles = [(Plate.model_fields[name].title or name, value) for name, value in values.items()]
    return ", ".join(f"{title.lower()} {value}" for title, value in titles)


def _refusal(values: Values) -> str | None:
    for name, value in values.items():
        quantity = quantity_of(Plate, name)
        try:
            if quantity:
                read_entry(quantity, str(value))
        except QuantityRefused as refusal:
            return refusal.sentence
    return None


def _pattern(form: str, gives: Callable[[re.Match[str]], Values]) -> _Pattern:
    return _Pattern(re.compile(START + form + END, re.IGNORECASE), gives)


def _one(field: str, unit: str = "") -> Callable[[re.Match[str]], Values]:
    """The first group, with its unit, for one field."""
    return lambda match: {field: f"{match[1]} {unit}".strip()}


def _power(match: re.Match[str]) -> Values:
    unit = {"HP": "hp", "KW": "kW", "W": "W"}[match[2].upper()]
    return {"rated_power": f"{match[1]} {unit}"}


def _volts(match: re.Match[str]) -> Values:
    first, second = match[1].replace(" ", ""), match[2]
    given = {"rated_voltage": f"{first} V"}
    return given | ({"second_voltage": f"{second.replace(' ', '')} V"} if second else {})


def _amps(match: re.Match[str]) -> Values:
    """Amps of one connection or two; of a range, as 208-230 V plates have, those at the upper volts."""
    first, mark, second = match[1], match[2], match[3]
    if second and mark == "-":
        return {"rated_current": f"{second} A"}
    return {"rated_current": f"{first} A"} | ({"second_current": f"{second} A"} if second else {})


def _capacitor(match: re.Match[str]) -> Values:
    given: Values = {"run_capacitance": f"{match[1]} µF"}
    return given | ({"capacitor_voltage": f"{match[2]} V"} if match[2] else {})


def _dual_capacitor(match: re.Match[str]) -> Values:
    """Of a dual capacitor the smaller section is the fan's; the other belongs to the compressor."""
    smaller = min(match[1], match[2], key=float)
    given: Values = {"run_capacitance": f"{smaller} µF", "shared_capacitor": "yes"}
    return given | ({"capacitor_voltage": f"{match[3]} V"} if match[3] else {})


def _phases(match: re.Match[str]) -> Values:
    word = (match[1] or match[2]).upper()
    return {"phases": 3 if word in ("3", "THREE") else 1}


def _rotation(match: re.Match[str]) -> Values:
    turn, seen = match[1].upper(), (match[2] or "").upper()
    rotation = {"CW": Rotation.CLOCKWISE, "CCW": Rotation.COUNTER}.get(turn, Rotation.EITHER)
    given: Values = {"rotation": str(rotation)}
    return given | ({"rotation_seen_from": "lead end" if seen.startswith("L") else "shaft end"} if seen else {})


def _protection(match: re.Match[str]) -> Values:
    word = match[0].upper()
    if "MAN" in word:
        return {"protection": str(Protection.MANUAL)}
    return {"protection": str(Protection.IMPEDANCE if "IMP" in word or word == "ZP" else Protection.AUTOMATIC)}


VOLT_RANGE = r"\d{2,3}(?:\s*-\s*\d{3})?"
CAPACITOR_VOLTS = r"(?:\s*[/@,]?\s*(\d{3})\s*(?:V(?:AC)?|VOLTS?)?)?"
MICROFARADS = r"\s*(?:UF|µF|μF|MFD|MF)\b"
PATTERNS: tuple[_Pattern, ...] = (
    _pattern(rf"({DECIMAL})\s*[+/]\s*({DECIMAL}){MICROFARADS}{CAPACITOR_VOLTS}", _dual_capacitor),
    _pattern(rf"(?:CAP(?:ACITOR)?\.?\s*:?\s*)?({DECIMAL}){MICROFARADS}{CAPACITOR_VOLTS}", _capacitor),
    _pattern(rf"((?:\d+[ -]+)?\d+/\d+|{DECIMAL})\s*(HP|KW|W)", _power),
    _pattern(r"S\.?F\.?A\.?\s*:?\s*(\d+(?:\.\d+)?)(?:\s*A(?:MPS?)?)?", _one("service_factor_current", "A")),
    _pattern(r"(?:SERVICE FACTOR|S\.?F\.?)\s*[:=]?\s*(\d(?:\.\d+)?)", _one("service_factor")),
    _pattern(rf"({VOLT_RANGE})(?:\s*/\s*({VOLT_RANGE}))?\s*V(?:AC|OLTS?|\.)?", _volts),
    _pattern(rf"VOLTS?\s*:?\s*({VOLT_RANGE})(?:\s*/\s*({VOLT_RANGE}))?", _volts),
    _pattern(rf"({DECIMAL})(?:\s*([-/])\s*({DECIMAL}))?\s*(?:AMPS?|A\.?|FLA)", _amps),
    _pattern(rf"(?:F\.?L\.?A\.?|AMPS?)\s*:?\s*({DECIMAL})(?:\s*([-/])\s*({DECIMAL}))?", _amps),
    _pattern(r"(\d{3,5})(?:/\d{3,4})*\s*(?:RPM|R/MIN|MIN-1)", _one("rated_speed", "rpm")),
    _pattern(r"RPM\s*:?\s*(\d{3,5})", _one("rated_speed", "rpm")),
    _pattern(r"(\d{2}(?:\.\d)?)(?:/\d{2})?\s*(?:HZ|CYCLES?|CY)", _one("frequency", "Hz")),
    _pattern(r"HZ\s*:?\s*(\d{2})", _one("frequency", "Hz")),
    _pattern(r"(?:(1|3|SINGLE|THREE)[\s-]*(?:PHASE|PH|Ø)|(?:PHASE|PH)\s*:?\s*(1|3))", _phases),
    _pattern(r"(?:FRAME|FR)\.?\s*:?\s*(\d{2,3}[A-Z]{0,3})", lambda match: {"frame": match[1].upper()}),
    _pattern(
        r"(?:INS(?:UL(?:ATION)?)?\.?\s*(?:CL(?:ASS)?\.?)?|CLASS)\s*:?\s*([ABFH])",
        lambda match: {"insulation": match[1].upper()},
    ),
    _pattern(r"(?:KVA\s*CODE|CODE|KVA)\s*:?\s*([A-HJ-NPR-V])", lambda match: {"code_letter": match[1].upper()}),
    _pattern(
        r"(?:NEMA\s*)?(?:NOM(?:INAL)?\.?\s*)?EFF(?:ICIENCY)?\.?\s*:?\s*(\d{2}(?:\.\d)?)\s*%?",
        _one("nominal_efficiency", "%"),
    ),
    _pattern(r"(?:P\.?F\.?|COS\s*(?:PHI|φ))\s*[:=]?\s*(0?\.\d+|1\.0)", _one("power_factor")),
    _pattern(r"(IP\s?[0-6X][0-9X]|TEFC|TENV|TEAO|ODP|OPAO|OPEN)", lambda match: {"enclosure": match[1].upper()}),
    _pattern(r"(?:AMB(?:IENT)?\.?\s*:?\s*(\d{2})\s*°?\s*C?|(\d{2})\s*°?\s*C\s*AMB(?:IENT)?)", lambda match: {"ambient": f"{match[1] or match[2]} °C"}),
    _pattern(r"(?:DUTY\s*:?\s*)?(CONT(?:INUOUS)?\.?|AIR[\s-]OVER|AO|S[1-9])", lambda match: {"duty": match[1].lower()}),
    _pattern(r"ROT(?:ATION)?\.?\s*:?\s*(CCW|CW|REV)(?:\s*(LE|SE|LEAD END|SHAFT END))?", _rotation),
    _pattern(r"(CCW|CW|REV(?:ERSIBLE)?)\s*(LE|SE|LEAD END|SHAFT END)?", _rotation),
    _pattern(
        r"(?:THERM(?:ALLY)?\.?\s*PROT(?:ECTED)?\.?(?:\s*(?:AUTO(?:MATIC)?|MAN(?:UAL)?))?|AUTO(?:MATIC)?\s*RESET|MAN(?:UAL)?\s*RESET|"
        r"IMP(?:EDANCE)?\.?\s*PROT(?:ECTED)?|ZP|TP)",
        _protection,
    ),
)  # fmt: skip
"""In the order in which they are looked for: what could be mistaken for another stands before it."""
