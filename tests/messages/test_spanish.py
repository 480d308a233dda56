"""The Spanish says what the English says: the same values, the same figures, and no direction turned round."""

from __future__ import annotations

import json
import re
from collections.abc import Iterator
from typing import Any

import pytest
from tools import messages
from tools.generate import GENERATED

TURNED = (
    (r"high\w*|highest", r"\bbaj[ao]s?\b", r"\balt[ao]|máxim|superior|mayor|más"),
    (r"low|lower|lowest", r"\balt[ao]s?\b", r"\bbaj|mínim|inferior|menor|menos"),
    (r"above", r"por debajo|menor que|\bbajo\b", r"encima|sobre|mayor|super|más|arriba|entre"),
    (r"below", r"por encima|mayor que|\bsobre\b", r"debajo|bajo|menor|inferior|menos|abajo|bajan"),
    (r"opens?|opened", r"\bcerrad|\bcierr", r"abier|abr|ábr"),
    (r"closed|shut|closes", r"\babiert|\babre", r"cerr|cierr|tapad"),
    (r"faster", r"\blent|despacio", r"rápid|veloz|acel"),
    (r"slower", r"rápid", r"lent|despacio|fren"),
    (r"before", r"después|\btras\b", r"antes|ante|previ|delante|primero|hasta"),
    (r"after", r"\bantes\b", r"después|tras|luego|posterior|detrás"),
    (r"fewer|less", r"\bmás\b", r"menos|menor|peor|reduc"),
    (r"rises?", r"\bbaja\b", r"sub|salto|alza|crec|calent|aument|elev"),
    (r"falls?", r"\bsube\b", r"baj|cae|caig|desc|caer"),
    (r"supply", r"\bretorno\b|aspiración", r"impuls|\bred\b|aliment|suministro"),
    (r"return", r"\bimpulsión", r"retorno|devol|vuel"),
    (r"discharge", r"aspiración", r"impuls|descar"),
    (r"suction", r"impulsión", r"aspira"),
)
"""A word of direction: what Spanish of the opposite direction looks like, and what right Spanish looks like."""


@pytest.fixture(scope="module")
def both() -> dict[str, tuple[list[Any], list[Any]]]:
    english, spanish = messages.english(), messages.read("es")
    return {code: (pattern, spanish[code]) for code, pattern in english.items()}


def _text(pattern: list[Any]) -> Iterator[str]:
    for piece in pattern:
        if isinstance(piece, str):
            yield piece
        elif "cases" in piece:
            for case in piece["cases"].values():
                yield from _text(case)


def test_no_value_is_left_out(both: dict[str, tuple[list[Any], list[Any]]]) -> None:
    left = {
        code: values
        for code, pair in both.items()
        if (values := messages.values_of(pair[0]) ^ messages.values_of(pair[1]))
    }
    assert left == {}


def turned(english: str, spanish: str) -> list[str]:
    """The words of direction in a text that its Spanish turns round."""
    return [
        word
        for word, opposite, right in TURNED
        if re.search(rf"\b(?:{word})\b", english, re.I)
        and re.search(opposite, spanish, re.I)
        and not re.search(right, spanish, re.I)
    ]


def test_no_direction_is_turned_round(both: dict[str, tuple[list[Any], list[Any]]]) -> None:
    assert (
        turned("high", "bajo") and turned("below it", "por encima de ella") and not turned("low volts", "voltios bajos")
    )
    said = {code: (" ".join(_text(pair[0])), " ".join(_text(pair[1]))) for code, pair in both.items()}
    assert {code: pair for code, pair in said.items() if turned(*pair)} == {}


def test_figures_in_a_text_are_the_same(both: dict[str, tuple[list[Any], list[Any]]]) -> None:
    """Limits of the trade stand in texts too: 5 % stays 5 %. Signs between digits are the language's."""
    figures = {
        code: tuple(sorted(re.findall(r"\d+", " ".join(_text(pattern)))) for pattern in pair)
        for code, pair in both.items()
    }
    other = {code: pair for code, pair in figures.items() if pair[0] != pair[1]}
    in_words = {"table-code-names-name-rules-two-oh-eight-on-230"}
    assert sorted(other.keys() - in_words) == []


ALIKE = frozenset(["axial", "reversible", "motor", "horizontal"])
"""Answers that read alike in both languages."""


def test_every_answer_that_the_page_offers_is_read_in_spanish() -> None:
    fields = re.search(r"fields = (\{.*?\n\})", (GENERATED / "fields.ts").read_text(encoding="utf-8"), re.DOTALL)
    assert fields
    spanish = json.loads((GENERATED / "facts.es.json").read_text(encoding="utf-8"))["fields"]
    pairs = {
        (one, other)
        for path, fact in json.loads(fields[1]).items()
        for one, other in zip(fact.get("labels", ()), spanish[path].get("labels", ()), strict=True)
        if fact.get("quantity") is None and not path.startswith("charts/")
    }
    assert len(pairs) > 150
    assert sorted(one for one, other in pairs if one == other and re.search("[a-z]{4}", one) and one not in ALIKE) == []
