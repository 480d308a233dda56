"""Cells that go out and come in: no formula, no half-read table, nothing that takes long."""

from __future__ import annotations

import ast
import re
import time
from pathlib import Path

import pytest

import modest_rotor
from modest_rotor.core.errors import Refusal
from modest_rotor.formats.cells import LONGEST_CELL, heading_and_unit, plain_text, rows_of, safe_text
from tests.said import refused_with

SOURCES = Path(modest_rotor.__file__).parent


@pytest.mark.parametrize("typed", ["=1+1", "+1", "-1", "@SUM(A1)", "\t=1", "\r=1", "  =1", "\n=1"])
def test_no_words_become_a_formula_and_all_come_back(typed: str) -> None:
    # What begins a formula: common practice against formulas in exported tables.
    out = safe_text(typed)
    assert out.startswith("'")
    assert plain_text(out).strip() == typed.strip()


def test_other_words_stay_as_they_are_and_control_characters_go() -> None:
    assert safe_text("as found, 1/2 hp") == "as found, 1/2 hp"
    assert safe_text("a\x07b\x1bc") == "a b c"
    assert plain_text("'tis") == "'tis"


def test_cells_are_bounded_before_anybody_looks_at_them() -> None:
    assert rows_of("a;b\n1; 2 ", ";", Refusal) == [["a", "b"], ["1", "2"]]
    assert rows_of(f"a\n{'x' * LONGEST_CELL}", ",", Refusal)[1] == ["x" * LONGEST_CELL]
    with pytest.raises(Refusal, match="Row 2 has a cell of more than"):
        rows_of(f"a\n{'x' * (LONGEST_CELL + 1)}", ",", Refusal)
    with refused_with(Refusal, "cells-rows-of-csv-nothing"):
        rows_of(f"a\n{'x' * 140_000}", ",", Refusal)  # beyond what the reader of tables takes as one field


@pytest.mark.parametrize(
    ("heading", "parts"),
    [
        ("Supply (V)", ("Supply", "V")),
        ("Static [in. w.g.] ", ("Static", "in. w.g.")),
        ("Speed", ("Speed", "")),
        ("a) b", ("a) b", "")),
        ("((A)", ("(", "A")),
        ("(A)", ("", "A")),
        ("amps (A", ("amps (A", "")),
        ("x (y) (kW)", ("x (y)", "kW")),
        ("", ("", "")),
    ],
)
def test_a_heading_names_its_unit_in_brackets_at_its_end(heading: str, parts: tuple[str, str]) -> None:
    assert heading_and_unit(heading) == parts


BOUNDED = {  # patterns that only ever see so many characters: what bounds them stands before them
    "core/entry.py": 60,
    "core/calculations/calculation.py": 60,
    "core/drift/log.py": 40,
}
PIECES = (" ", "1", "1-", "1,", "a", "a ", "(", "1 ", "1/", ".", "-", "v", "\t", "1-1 ", "1:")
SHORT, LONG = 1_500, 6_000
LEAST_S = 1e-2
"""A linear pattern passes 6,000 characters in well under a millisecond, a quadratic one in a hundred and more."""
MOST_RATIO = 8.0
"""Four times the length takes four times as long where a pattern is linear, and sixteen times where it is quadratic."""


def patterns() -> list[tuple[str, str, str, int]]:
    """Every pattern that is written in the sources: its file, how it is used, itself, its flags."""
    found = []
    for file in sorted(SOURCES.rglob("*.py")):
        for node in ast.walk(ast.parse(file.read_text())):
            if not (isinstance(node, ast.Call) and isinstance(node.func, ast.Attribute) and node.args):
                continue
            of_re = isinstance(node.func.value, ast.Name) and node.func.value.id == "re"
            if of_re and isinstance(node.args[0], ast.Constant) and isinstance(node.args[0].value, str):
                found.append((str(file.relative_to(SOURCES)), node.func.attr, node.args[0].value, re.I))
    return found


def seconds(pattern: re.Pattern[str], how: str, text: str) -> float:
    begun = time.thread_time()
    if how == "sub":
        pattern.sub("", text)
    else:
        getattr(pattern, how if how in ("match", "fullmatch") else "search")(text)
    return time.thread_time() - begun


@pytest.mark.parametrize(("file", "how", "text", "flags"), patterns())
def test_no_pattern_takes_longer_than_in_proportion(file: str, how: str, text: str, flags: int) -> None:
    pattern = re.compile(text, flags)
    uses = ("search", "match", "fullmatch") if how == "compile" else (how,)
    short, long = (SHORT, LONG) if file not in BOUNDED else (BOUNDED[file] // 4, BOUNDED[file])
    for use in uses:
        if how == "compile" and use == "search" and file.startswith(("api/", "core/changes", "core/stations/readings")):
            continue  # these are only ever matched from the beginning, and to the end
        for piece in PIECES:
            for end in ("", "!"):
                texts = [piece * (length // len(piece)) + end for length in (short, long)]
                if seconds(pattern, use, texts[1]) < LEAST_S:
                    continue
                first, second = (min(seconds(pattern, use, text) for _ in range(3)) for text in texts)
                assert second < LEAST_S or second / max(first, 1e-5) < MOST_RATIO, (use, piece, first, second)


@pytest.mark.slow
def test_every_pattern_is_among_them() -> None:
    assert len(patterns()) >= 20
