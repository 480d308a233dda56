"""Every small change that could be made: an operator, a comparison, a number, a condition of the code; a digit of a table."""

from __future__ import annotations

import ast
import random
from collections.abc import Iterator
from dataclasses import dataclass
from pathlib import Path

SOURCE = Path("src/modest_rotor")
AREAS = {
    "physics": ("core/physics",),
    "standards": ("core/standards",),
    "identify": ("core/identify",),
    "stations": ("core/stations",),
    "rules": ("core/rules", "core/proof"),
    "options": ("core/options",),
    "money": ("core/economy.py", "core/options/money_results.py", "core/options/year*.py"),
    "setup": ("core/setup",),
    "drift": ("core/drift",),
    "plant and bench": ("core/plant", "core/bench"),
    "calculations": ("core/calculations",),
    "rest of the core": ("core/*.py",),
    "formats": ("formats",),
    "tables": ("core/tables/*.csv",),
}
SWAPS: dict[type, type] = {
    ast.Lt: ast.LtE, ast.LtE: ast.Lt, ast.Gt: ast.GtE, ast.GtE: ast.Gt, ast.Eq: ast.NotEq, ast.NotEq: ast.Eq,
    ast.Is: ast.IsNot, ast.IsNot: ast.Is, ast.In: ast.NotIn, ast.NotIn: ast.In,
    ast.Add: ast.Sub, ast.Sub: ast.Add, ast.Mult: ast.Div, ast.Div: ast.Mult, ast.And: ast.Or, ast.Or: ast.And,
}  # fmt: skip
WIDER = 1.05
"""A number is made larger by this: as little as a slip of the pen, more than any rounding."""
DRAWINGS = ("report_pdf.py", "report_page_one.py", "report_pictures.py")
"""Where a number is a place on paper: looked at, not asserted."""
UNTOUCHED_CALLS = ("lru_cache", "Field", "told", "moment", "LRUCache")
"""Calls whose numbers bound lengths and memories: what they are changes no result."""


@dataclass(frozen=True)
class Change:
    """One change of one file: the text that stands there, and what stands there afterwards."""

    path: str
    line: int
    column: int
    end_line: int
    end_column: int
    before: str
    after: str

    def applied(self, text: str) -> str:
        """The file's text with the change in it."""
        lines = text.splitlines(keepends=True)
        first, last = lines[self.line - 1], lines[self.end_line - 1]
        head, tail = first[: self.column], last[self.end_column :]
        return "".join([*lines[: self.line - 1], head + self.after + tail, *lines[self.end_line :]])

    def __str__(self) -> str:
        return f"{self.path}:{self.line}: {self.before} -> {self.after}"


def files_of(root: Path, area: str) -> list[Path]:
    """The files of an area, in order."""
    found: set[Path] = set()
    for pattern in AREAS[area]:
        at = root / SOURCE / pattern
        found |= set(at.rglob("*.py")) if at.is_dir() else set(at.parent.glob(at.name))
    return sorted(path for path in found if path.name not in ("__init__.py", *DRAWINGS))


def changes_of(root: Path, path: Path, chance: random.Random) -> list[Change]:
    """Every change of a file; of a table, one digit of each cell that is a number."""
    text = path.read_text(encoding="utf-8")
    name = str(path.relative_to(root))
    return list(_of_table(name, text, chance) if path.suffix == ".csv" else _of_code(name, text))


def _of_table(name: str, text: str, chance: random.Random) -> Iterator[Change]:
    rows = [(number, line) for number, line in enumerate(text.splitlines(), 1) if line.strip() and line[0] != "#"]
    for number, line in rows[1:]:
        for start, end in _cells(line):
            cell = line[start:end]
            try:
                float(cell)
            except ValueError:
                continue
            places = [place for place, letter in enumerate(cell) if letter.isdigit()]
            place = chance.choice(places)
            digit = str((int(cell[place]) + chance.choice((1, 2, 8, 9))) % 10)
            yield Change(name, number, start, number, end, cell, cell[:place] + digit + cell[place + 1 :])


def _cells(line: str) -> Iterator[tuple[int, int]]:
    start, quoted = 0, False
    for place, letter in enumerate(line + ","):
        quoted ^= letter == '"'
        if letter == "," and not quoted:
            yield start, place
            start = place + 1


def _of_code(name: str, text: str) -> Iterator[Change]:
    tree = ast.parse(text)
    lines = text.splitlines()
    for node in _that_matter(tree):
        for after in _altered(node):
            before = ast.get_source_segment(text, node)
            if before and node.end_lineno and node.end_col_offset is not None:  # type: ignore[attr-defined]
                at = (_in_letters(lines, node.lineno, node.col_offset), _in_letters(lines, node.end_lineno, node.end_col_offset))  # type: ignore[attr-defined]  # fmt: skip
                yield Change(name, node.lineno, at[0], node.end_lineno, at[1], before, f"({after})")  # type: ignore[attr-defined]


def _in_letters(lines: list[str], line: int, octets: int) -> int:
    """A place in a line counted in letters: the parser counts bytes."""
    return len(lines[line - 1].encode()[:octets].decode())


def _that_matter(node: ast.AST) -> Iterator[ast.AST]:
    """Every node whose change could change a result: no annotation, no wording, nothing that only bounds a memory."""
    for field, value in ast.iter_fields(node):
        if field in ("annotation", "returns", "decorator_list", "format_spec", "type_params"):
            continue
        for child in value if isinstance(value, list) else [value]:
            if not isinstance(child, ast.AST) or isinstance(child, ast.Raise | ast.Assert | ast.JoinedStr):
                continue
            if isinstance(child, ast.Call) and getattr(child.func, "id", "") in UNTOUCHED_CALLS:
                continue
            yield child
            yield from _that_matter(child)


def _altered(node: ast.AST) -> Iterator[str]:
    """What a node could be changed into, as source."""
    match node:
        case ast.Constant(value=bool()):
            yield str(not node.value)
        case ast.Constant(value=int() | float() as number):
            yield repr(number + 1 if isinstance(number, int) else (number * WIDER or 1.0))
        case ast.BinOp(op=op) if type(op) in SWAPS and not _joins_words(node):
            yield ast.unparse(ast.BinOp(node.left, SWAPS[type(op)](), node.right))
        case ast.BoolOp(op=op):
            yield ast.unparse(ast.BoolOp(SWAPS[type(op)](), node.values))
        case ast.Compare(ops=[op]) if type(op) in SWAPS:
            yield ast.unparse(ast.Compare(node.left, [SWAPS[type(op)]()], node.comparators))
        case ast.UnaryOp(op=ast.Not()):
            yield ast.unparse(node.operand)
        case ast.UnaryOp(op=ast.USub()) if not isinstance(node.operand, ast.Constant):
            yield ast.unparse(node.operand)
        case ast.IfExp():
            yield ast.unparse(ast.IfExp(ast.UnaryOp(ast.Not(), node.test), node.body, node.orelse))


def _joins_words(node: ast.BinOp) -> bool:
    """Whether an addition joins words or lists rather than numbers."""
    return any(
        isinstance(side, ast.JoinedStr | ast.List | ast.Tuple)
        or (isinstance(side, ast.Constant) and isinstance(side.value, str))
        for side in (node.left, node.right)
    )
