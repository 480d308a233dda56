"""The catalogues of messages: what the program loads, made of the Fluent files; and messages that nothing says, or that are said and missing."""

from __future__ import annotations

import ast
import json
from functools import cache
from pathlib import Path
from typing import Any

from fluent.syntax import FluentParser
from fluent.syntax import ast as ftl

from modest_rotor.core.bench.course_words import READ, TOPICS, experiment_message, topic_message
from modest_rotor.core.tables import messages_of

HOUSE = Path(__file__).resolve().parent.parent
MESSAGES = HOUSE / "src/modest_rotor/core/messages"
EXPERIMENTS = HOUSE / "src/modest_rotor/core/bench/experiments"
TABLES = HOUSE / "src/modest_rotor/core/tables"
ENGLISH = "en"
SAYING = ("say", "tell")
"""The functions whose first argument is a message's code."""


class CatalogueRefused(ValueError):
    """A Fluent file that says something the program cannot load."""


def languages() -> list[str]:
    """The languages that there are catalogues of."""
    return sorted(path.name for path in MESSAGES.iterdir() if path.is_dir())


def read(language: str) -> dict[str, list[Any]]:
    """The messages of a language as they are loaded, by code."""
    patterns: dict[str, list[Any]] = {}
    for path in sorted((MESSAGES / language).glob("*.ftl")):
        for entry in FluentParser(with_spans=False).parse(path.read_text(encoding="utf-8")).body:
            if isinstance(entry, ftl.Junk):
                raise CatalogueRefused(f"{path.name}: not Fluent: {entry.content[:80]!r}")
            if not isinstance(entry, ftl.Message):
                continue
            if entry.id.name in patterns:
                raise CatalogueRefused(f"{path.name}: {entry.id.name} stands twice")
            patterns[entry.id.name] = _pattern(entry.value, f"{path.name}: {entry.id.name}")
    return patterns


def _pattern(pattern: ftl.Pattern | None, where: str) -> list[Any]:
    parts: list[Any] = []
    for element in pattern.elements if pattern else ():
        part = _part(element, where)
        if isinstance(part, str) and parts and isinstance(parts[-1], str):
            parts[-1] += part
        elif part != "":
            parts.append(part)
    return parts


def _part(element: Any, where: str) -> Any:
    if isinstance(element, ftl.TextElement):
        return element.value
    inside = element.expression
    if isinstance(inside, ftl.StringLiteral):
        return inside.parse()["value"]
    if isinstance(inside, ftl.VariableReference):
        return {"value": inside.id.name}
    if isinstance(inside, ftl.SelectExpression) and isinstance(inside.selector, ftl.VariableReference):
        cases = {_key(one): _pattern(one.value, where) for one in inside.variants}
        otherwise = next(_key(one) for one in inside.variants if one.default)
        return {"on": inside.selector.id.name, "cases": cases, "else": otherwise}
    raise CatalogueRefused(f"{where}: only values, choices by a value and literal text are loaded")


def _key(variant: ftl.Variant) -> str:
    return variant.key.name if isinstance(variant.key, ftl.Identifier) else variant.key.value


def values_of(pattern: list[Any]) -> set[str]:
    """The names of the values that stand in a message."""
    names: set[str] = set()
    for part in pattern:
        if isinstance(part, dict):
            names.add(part.get("value") or part["on"])
            for case in part.get("cases", {}).values():
                names |= values_of(case)
    return names


@cache
def parsed(path: Path) -> ast.Module:
    """The syntax of a file."""
    return ast.parse(path.read_text(encoding="utf-8"))


def used_in(root: Path) -> set[str]:
    """Every text that stands in the Python under ``root`` and may be a message's code."""
    return {
        node.value
        for path in root.rglob("*.py")
        for node in ast.walk(parsed(path))
        if isinstance(node, ast.Constant) and isinstance(node.value, str)
    }


def said_in(root: Path) -> dict[str, list[tuple[Path, int, set[str]]]]:
    """Every code that Python under ``root`` says, with where and with which values."""
    said: dict[str, list[tuple[Path, int, set[str]]]] = {}
    for path in sorted(root.rglob("*.py")):
        for node in ast.walk(parsed(path)):
            if isinstance(node, ast.Call) and isinstance(node.func, ast.Name) and node.func.id in SAYING:
                code = node.args[0] if node.args else None
                if isinstance(code, ast.Constant):
                    given = {one.arg or "**" for one in node.keywords}
                    said.setdefault(str(code.value), []).append((path, node.lineno, given))
    return said


def of_tables() -> dict[str, list[Any]]:
    """The messages whose English stands in tables."""
    names = sorted(path.stem for path in TABLES.glob("*.csv"))
    return {code: [text] for name in names for code, text in messages_of(name).items()}


def of_experiments() -> dict[str, list[Any]]:
    """The messages whose English stands in the files of experiments."""
    said: dict[str, list[Any]] = {}
    for path in sorted(EXPERIMENTS.glob("*.json")):
        one = json.loads(path.read_text(encoding="utf-8"))
        said |= {experiment_message(one["code"], name): [one[name]] for name in READ}
    return said | {topic_message(topic): [topic] for topic in TOPICS}


def english() -> dict[str, list[Any]]:
    """Every message of English: those of the catalogues, of tables and of experiments."""
    return read(ENGLISH) | of_tables() | of_experiments()


def built() -> dict[Path, str]:
    """What the program loads, by file: each language's messages, a line each."""
    patterns = {language: read(language) for language in languages()}
    patterns[ENGLISH] = english()
    return {MESSAGES / f"{language}.json": _lines(one) for language, one in patterns.items()}


def _lines(patterns: dict[str, list[Any]]) -> str:
    lines = (
        f"{json.dumps(code)}: {json.dumps(pattern, ensure_ascii=False)}" for code, pattern in sorted(patterns.items())
    )
    return "{\n" + ",\n".join(lines) + "\n}\n"


if __name__ == "__main__":
    for path, text in built().items():
        path.write_text(text, encoding="utf-8")
