"""The core inspected by itself: every public function of the physics says its units and its source, every rule its own."""

from __future__ import annotations

import ast
import inspect
import pkgutil
import re
from importlib import import_module
from pathlib import Path
from types import FunctionType

import pytest

import modest_rotor.core
from modest_rotor.core import physics
from modest_rotor.core.job import JobDocument, Machine, Station
from modest_rotor.core.quantities import all_quantities
from modest_rotor.core.rules.book import RULES
from modest_rotor.core.stations.sheet import quantity_of
from tests.jobs import KRAUSE, assessed

CORE = Path(modest_rotor.core.__file__).parent
MODULES = [module.name for module in pkgutil.walk_packages([str(CORE)], "modest_rotor.core.")]
LONGEST_FILE = 400
LONGEST_FUNCTION = 60


def _public_functions(module: object) -> list[FunctionType]:
    return [
        function
        for name, function in inspect.getmembers(module, inspect.isfunction)
        if not name.startswith("_") and function.__module__ == module.__name__  # type: ignore[attr-defined]
    ]


def test_every_module_and_public_function_is_described() -> None:
    modules = {name: import_module(name) for name in MODULES}
    assert len(modules) > 200 and all(module.__doc__ for module in modules.values())
    bare = [
        f"{name}.{function.__name__}"
        for name, module in modules.items()
        for function in _public_functions(module)
        if not function.__doc__
    ]
    assert bare == []


@pytest.mark.parametrize("name", [module.name for module in pkgutil.iter_modules(physics.__path__)])
def test_every_equation_names_its_source(name: str) -> None:
    """An equation says where it comes from, and a number in it is named and sourced."""
    module = import_module(f"modest_rotor.core.physics.{name}")
    helpers = {"rated_losses_w", "shaft_power_from_input_w", "system_through"}
    for function in _public_functions(module):
        assert "ource" in (function.__doc__ or "") or function.__name__ in helpers, function.__name__


GIVES_A_NUMBER = ("Estimate", "float", "Array", "Result")
SAYS_WHERE_FROM = re.compile("ource|ractice|judgement|efinition")


def test_every_function_of_the_core_that_gives_a_number_says_where_it_comes_from() -> None:
    """Above the physics too: a standard, a handbook, a definition, common practice, or our judgement."""
    silent, seen = [], 0
    for name in MODULES:
        module = import_module(name)
        for owner in (
            module,
            *(one for _, one in inspect.getmembers(module, inspect.isclass) if one.__module__ == name),
        ):
            for called, function in inspect.getmembers(owner, inspect.isfunction):
                given = str(function.__annotations__.get("return", ""))
                if (
                    called.startswith("_")
                    or function.__module__ != name
                    or (owner is not module and owner.__name__[0] == "_")
                ):
                    continue
                if any(one in given for one in GIVES_A_NUMBER):
                    seen += 1
                    if not SAYS_WHERE_FROM.search(function.__doc__ or ""):
                        silent.append(f"{name}.{function.__qualname__}")
    assert silent == [] and seen > 190


def test_files_and_functions_stay_short_enough_to_read() -> None:
    texts = {path.relative_to(CORE): path.read_text(encoding="utf-8") for path in CORE.rglob("*.py")}
    assert len(texts) > 200
    assert [path for path, text in texts.items() if text.count("\n") >= LONGEST_FILE] == []
    long = [
        f"{path}: {node.name}"
        for path, text in texts.items()
        for node in ast.walk(ast.parse(text))
        if isinstance(node, ast.FunctionDef) and (node.end_lineno or 0) - node.lineno >= LONGEST_FUNCTION
    ]
    assert long == []


@pytest.mark.parametrize("path", sorted((CORE / "physics").glob("*.py")), ids=lambda path: path.name)
def test_every_number_in_an_equation_is_nought_one_two_or_named(path: Path) -> None:
    """What is left over must be a definition: 120 of synchronous speed, 60 seconds, percent, the powers of
    the affinity laws, the four of a quadratic."""
    definitions = {0, 1, 2, 3, 4, 5, 60, 100, 120}
    for node in ast.walk(ast.parse(path.read_text(encoding="utf-8"))):
        if isinstance(node, ast.FunctionDef):
            for inner in ast.walk(node):
                if isinstance(inner, ast.Constant) and isinstance(inner.value, (int, float)):
                    assert inner.value in definitions, f"{path.name}:{inner.lineno} {inner.value}"


def _fields(model: type) -> list[tuple[str, str | None]]:
    return [(name, quantity_of(model, name)) for name in model.model_fields]  # type: ignore[attr-defined]


def test_every_asked_quantity_is_in_the_table_of_quantities() -> None:
    seen = 0
    for model in (JobDocument, Machine):
        for name in model.model_fields:
            part = model.model_fields[name].annotation
            for inner in (part, *getattr(part, "__args__", ())):
                if inspect.isclass(inner) and hasattr(inner, "model_fields"):
                    for _, quantity in _fields(inner):
                        assert quantity is None or quantity in all_quantities()
                        seen += quantity is not None
    assert seen > 15


def test_every_finding_says_what_it_rests_on_and_what_to_do() -> None:
    jobs = (
        {},
        {"call__reason": "dead", "readings": []},
        {"call__protected": "garage", "call__minimum_airflow": "900 L/s"},
        {"readings__0__speed": "1,900 rpm", "readings__0__current": "9 A", "readings__0__voltage": "60 V"},
        {"nameplate__rated_speed": "3,700 rpm", "call__protected": None},
    )
    found = [finding for job in jobs for finding in assessed(KRAUSE, **job).findings]
    assert len({finding.rule for finding in found}) >= 10
    for finding in found:
        assert finding.source and finding.action and finding.sentence and finding.station in set(Station)
    assert len(RULES) == len(set(RULES))


def test_stops_come_first() -> None:
    severities = [finding.severity for finding in assessed(KRAUSE, call__protected="garage").findings]
    assert severities == sorted(severities, key=["stop", "caution", "note"].index)
