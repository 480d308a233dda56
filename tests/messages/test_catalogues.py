"""Every message that is said stands in the catalogue with its values, and none stands there for nothing."""

from __future__ import annotations

import ast
from pathlib import Path

import pytest
from tools import messages

SOURCE = messages.HOUSE / "src"
OF_OPERATORS = ("serve", "cli.py")
"""What says something to whoever runs the program, in its terminal."""
OF_BUILDERS = ("core/graph.py", "core/content.py", "core/say.py", "core/bench/course.py")
"""What fails only while the program is built, from files of its own."""


@pytest.fixture(scope="module")
def english() -> dict[str, list[object]]:
    return messages.english()


def test_every_message_that_is_said_is_in_the_catalogue_with_the_values_it_is_given(
    english: dict[str, list[object]],
) -> None:
    said = messages.said_in(SOURCE)
    assert len(said) > 2000
    assert [code for code in said if code not in english] == []
    other = [
        (code, path.name, line)
        for code, places in said.items()
        for path, line, given in places
        if "**" not in given and messages.values_of(english[code]) != given
    ]
    assert other == []


def test_no_message_stands_in_the_catalogue_for_nothing(english: dict[str, list[object]]) -> None:
    used = messages.used_in(SOURCE)
    helps = {f"{code}-help" for code in used}
    assert [code for code in messages.read(messages.ENGLISH) if code not in used | helps] == []


@pytest.mark.parametrize("language", messages.languages())
def test_a_language_says_every_message_and_no_other_with_values_that_english_has(
    language: str, english: dict[str, list[object]]
) -> None:
    own = english if language == messages.ENGLISH else messages.read(language)
    assert sorted(english.keys() - own.keys()) == []
    assert sorted(own.keys() - english.keys()) == []
    strange = {code: messages.values_of(own[code]) - messages.values_of(english[code]) for code in own}
    assert {code: names for code, names in strange.items() if names} == {}


def test_a_slip_in_a_catalogue_is_named(tmp_path: Path, monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setattr(messages, "MESSAGES", tmp_path)
    (tmp_path / "en").mkdir()
    for text, why in (
        ("a = x\na = y\n", "stands twice"),
        ("a = { NUMBER($x) }\n", "are loaded"),
        ("a { x\n", "not Fluent"),
    ):
        (tmp_path / "en" / "one.ftl").write_text(text, encoding="utf-8")
        with pytest.raises(messages.CatalogueRefused, match=why):
            messages.read("en")


def _raised_in_plain_text(path: Path) -> list[int]:
    """The lines on which a file raises something with text of its own."""
    raised = [node.exc for node in ast.walk(messages.parsed(path)) if isinstance(node, ast.Raise)]
    first = [(one.args[0], one.lineno) for one in raised if isinstance(one, ast.Call) and one.args]
    return [
        line
        for said, line in first
        if isinstance(said, ast.JoinedStr | ast.BinOp) or isinstance(getattr(said, "value", None), str)
    ]


def test_whatever_refuses_says_a_message() -> None:
    home = SOURCE / "modest_rotor"
    found = {str(path.relative_to(home)): _raised_in_plain_text(path) for path in sorted(home.rglob("*.py"))}
    plain = {name: lines for name, lines in found.items() if lines and not name.startswith(OF_OPERATORS)}
    assert sorted(plain) == sorted(name for name in OF_BUILDERS)
