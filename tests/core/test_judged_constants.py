"""Numbers of the code that are our judgement or common practice: each stands a second time in a list, so that none is changed by a slip,
and none is added without being entered. What the list cannot say is whether they are right; the second populations under
``benchmarks`` are for that.
"""

from __future__ import annotations

import ast
import csv
from itertools import pairwise
from pathlib import Path

CORE = Path(__file__).resolve().parents[2] / "src" / "modest_rotor" / "core"
LIST = Path(__file__).with_name("judged_constants.csv")
JUDGED = ("judgement", "ommon practice", "no source")
"""What the words below a constant say where nothing published stands behind it."""


def of_the_code() -> dict[str, float]:
    """Every judged number of the core's modules, by module and name."""
    found: dict[str, float] = {}
    for path in sorted(CORE.rglob("*.py")):
        module = ".".join(path.relative_to(CORE).with_suffix("").parts)
        body = ast.parse(path.read_text(encoding="utf-8")).body
        for node, after in pairwise(body):
            if isinstance(node, ast.Assign) and any(mark in " ".join(_words(after).split()) for mark in JUDGED):
                found |= {f"{module}.{name}": value for name, value in _numbers(node)}
    return found


def _words(node: ast.stmt) -> str:
    value = node.value if isinstance(node, ast.Expr) else None
    return value.value if isinstance(value, ast.Constant) and isinstance(value.value, str) else ""


def _numbers(node: ast.Assign) -> list[tuple[str, float]]:
    target = node.targets[0]
    names = [
        one.id for one in (target.elts if isinstance(target, ast.Tuple) else [target]) if isinstance(one, ast.Name)
    ]
    try:
        values = ast.literal_eval(node.value)
    except ValueError:
        return []
    pairs = zip(names, [values] if len(names) == 1 else values, strict=False)
    return [(name, value) for name, value in pairs if isinstance(value, int | float) and not isinstance(value, bool)]


def test_every_judged_number_stands_in_the_list_with_its_value() -> None:
    with LIST.open(encoding="utf-8") as file:
        listed = {row["constant"]: float(row["value"]) for row in csv.DictReader(file)}
    found = of_the_code()
    assert len(found) > 150
    assert {
        name: (found.get(name), listed.get(name)) for name in {*found, *listed} if found.get(name) != listed.get(name)
    } == {}
