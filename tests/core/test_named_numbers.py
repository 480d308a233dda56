"""Numbers that the modules of core and formats name: each stands a second time in a list, so that none is changed by a slip, and none is added
without being entered. What the list cannot say is whether they are right: published ones are held against their sources where they
are used, judged ones against the second populations under ``benchmarks``.
"""

from __future__ import annotations

import ast
import csv
from collections.abc import Iterator
from itertools import pairwise
from pathlib import Path

ROOT = Path(__file__).resolve().parents[2] / "src" / "modest_rotor"
FOLDERS = ("core", "formats")
LIST = Path(__file__).with_name("named_numbers.csv")
JUDGED = ("judgement", "ommon practice", "no source")
"""What the words below a constant say where nothing published stands behind it."""


def of_the_code() -> dict[str, tuple[str, str]]:
    """What every assignment of a module says in numbers, in the order of its text, by module and names; and whether it is judged."""
    found: dict[str, tuple[str, str]] = {}
    for path in sorted(one for folder in FOLDERS for one in (ROOT / folder).rglob("*.py")):
        module = ".".join(path.relative_to(ROOT).with_suffix("").parts)
        body = ast.parse(path.read_text(encoding="utf-8")).body
        for node, after in pairwise([*body, ast.Pass()]):
            if not isinstance(node, ast.Assign | ast.AnnAssign) or node.value is None:
                continue
            numbers = " ".join(_numbers(node.value))
            if numbers:
                words = " ".join(_words(after).split())
                judged = "judged" if any(mark in words for mark in JUDGED) else ""
                found[f"{module}.{' '.join(_names(node))}"] = numbers, judged
    return found


def _words(node: ast.stmt) -> str:
    value = node.value if isinstance(node, ast.Expr) else None
    return value.value if isinstance(value, ast.Constant) and isinstance(value.value, str) else ""


def _names(node: ast.Assign | ast.AnnAssign) -> list[str]:
    target = node.targets[0] if isinstance(node, ast.Assign) else node.target
    return [one.id for one in ast.walk(target) if isinstance(one, ast.Name)]


def _numbers(node: ast.AST) -> Iterator[str]:
    """Every number in an expression, its own sign with it."""
    if isinstance(node, ast.UnaryOp) and isinstance(node.op, ast.USub) and isinstance(node.operand, ast.Constant):
        yield f"-{node.operand.value!r}"
    elif isinstance(node, ast.Constant):
        if isinstance(node.value, int | float) and not isinstance(node.value, bool):
            yield repr(node.value)
    else:
        for child in ast.iter_child_nodes(node):
            yield from _numbers(child)


def test_every_named_number_stands_in_the_list_with_its_value() -> None:
    with LIST.open(encoding="utf-8") as file:
        listed = {row["name"]: (row["numbers"], row["judged"]) for row in csv.DictReader(file)}
    found = of_the_code()
    assert len(found) > 500 and sum(judged == "judged" for _, judged in found.values()) > 100
    assert {
        name: (found.get(name), listed.get(name)) for name in {*found, *listed} if found.get(name) != listed.get(name)
    } == {}
