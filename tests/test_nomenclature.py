"""The code keeps to docs/nomenclature.md: what it names is there, and the words that it rules out are not."""

from __future__ import annotations

import ast
import re
from collections.abc import Iterator
from functools import cache
from pathlib import Path

from pydantic import BaseModel

from modest_rotor.core.bench.stand import Controls
from modest_rotor.core.job import JobDocument
from modest_rotor.core.tables import read_table

ROOT = Path(__file__).parents[1]
DOCUMENT, SPLIT = (ROOT / "docs" / "nomenclature.md").read_text(encoding="utf-8").split("## Words that are not used")
RULED_OUT = (
    "needle",
    "needles",
    "rung",
    "rungs",
    "yardstick",
    "lever",
    "levers",
    "culprit",
    "armed",
    "disarm",
    "band",
    "bands",
)
"""Of those words, the ones that no name of the code holds; the others are ordinary words elsewhere."""
RULED_OUT_OF_SCREENS = (
    *(word for word in RULED_OUT if not word.startswith("band")), "cause ladder", "airflow held", "voltage link", "seconds to full speed", "take out", "take-out", "take it out", "machine put right", "static across the unit",
)  # fmt: skip
OF_FREQUENCIES = ("answer.py", "commands.py", "loop.py", "setup.py", "sweep.py", "traits.py", "writing.py")
OF_ANOTHER_THING = {
    ("load.py", "rung"), ("load.py", "rungs"), ("product.py", "band"), *((file, word) for file in OF_FREQUENCIES for word in ("band", "bands")),
}  # fmt: skip
"""Steps of a grid that a solver climbs, seen by nobody; a belly band, and bands of frequencies that a drive skips."""
SOURCES = tuple(one for one in sorted((ROOT / "src" / "modest_rotor").rglob("*.py")) if "migrations" not in one.parts)
"""Migrations say what was, and stay as they are."""
OF_THE_PAGE = re.compile(r"\b(?:interface|type|class|function) (\w+)")


@cache
def names() -> dict[str, set[str]]:
    """Every name of the code, with the files that hold it."""
    found: dict[str, set[str]] = {}
    for path in SOURCES:
        for node in ast.walk(ast.parse(path.read_text(encoding="utf-8"))):
            for name in _names_of(node):
                found.setdefault(name, set()).add(path.name)
    return found


def _names_of(node: ast.AST) -> Iterator[str]:
    if isinstance(node, ast.ClassDef | ast.FunctionDef | ast.AsyncFunctionDef):
        yield node.name
    elif isinstance(node, ast.Name):
        yield node.id
    elif isinstance(node, ast.arg):
        yield node.arg
    elif isinstance(node, ast.Attribute):
        yield node.attr
    elif isinstance(node, ast.keyword) and node.arg:
        yield node.arg


def words_of(name: str) -> list[str]:
    """The words of a name, in lower case."""
    return [one.lower() for one in re.findall(r"[A-Z]?[a-z]+|[A-Z]+(?![a-z])", name)]


def test_every_name_that_the_document_gives_stands_in_the_code() -> None:
    given = {one for cell in re.findall(r"`([^`]+)`", DOCUMENT) for one in cell.split(".") if one.isidentifier()}
    modules = {path.stem for path in SOURCES}
    page = {
        name
        for path in (ROOT / "web" / "src").rglob("*.ts*")
        for name in OF_THE_PAGE.findall(path.read_text(encoding="utf-8"))
    }
    assert len(given) > 120
    assert given - set(names()) - modules - page - {"tests"} == set()


def test_no_name_of_the_code_holds_a_word_that_is_ruled_out() -> None:
    found = {
        (file, word, name)
        for name, files in names().items()
        for word in set(words_of(name)) & set(RULED_OUT)
        for file in files
        if (file, word) not in OF_ANOTHER_THING
    }
    assert found == set() and len(names()) > 5000


def test_the_document_lists_what_is_ruled_out_and_says_what_stands_instead() -> None:
    rows = [line.split("|")[1:3] for line in SPLIT.splitlines() if line.startswith("| ")][1:]
    listed = " ".join(cell for cell, _ in rows)
    for word in RULED_OUT_OF_SCREENS:
        assert word.rstrip("s").replace("-", " ") in listed, word
    assert all(instead.strip() for _, instead in rows) and len(rows) > 10


def shown() -> Iterator[str]:
    """What a person reads of labels, tables, fields and the words of the page."""
    for table, columns in {
        "labels": ("label",), "quantities": ("label",), "glossary": ("term", "sentence"), "rules": ("watches", "threshold"),
        "setup_steps": ("caution", "do", "find"), "dead_steps": ("question", "caution"), "causes": ("cause", "words", "next"),
        "separating_tests": ("test", "caution", "how"), "fit_checks": ("question",), "proofs": ("caution", "how"),
    }.items():  # fmt: skip
        for row in read_table(table):
            yield from (row[column] or "" for column in columns if column in row)
    for model in (JobDocument, Controls):
        yield from _of_fields(model)
    for line in (ROOT / "web" / "src" / "words" / "en.ftl").read_text(encoding="utf-8").splitlines():
        yield line.partition(" = ")[2]


def _of_fields(model: type[BaseModel] | type) -> Iterator[str]:
    for field in getattr(model, "model_fields", {}).values():
        yield f"{field.title or ''} {field.description or ''}"
        if isinstance(field.annotation, type) and issubclass(field.annotation, BaseModel):
            yield from _of_fields(field.annotation)


def test_no_screen_shows_a_word_that_is_ruled_out() -> None:
    texts = list(shown())
    assert len(texts) > 2500
    for word in RULED_OUT_OF_SCREENS:
        assert [one for one in texts if re.search(rf"\b{word}\b", one.lower())] == [], word
