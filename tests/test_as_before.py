"""An alarm: what the core says of kept scenes is what it said when somebody last looked. Which of two answers is right, others tell."""

from __future__ import annotations

import numpy as np
import pytest
from tools.as_before.__main__ import said_before, said_now
from tools.as_before.prints import Print, changes, print_of
from tools.as_before.scenes import scenes

pytestmark = pytest.mark.slow
SCENES = dict(scenes())


@pytest.mark.parametrize("name", SCENES)
def test_it_says_what_it_said(name: str) -> None:
    """Where a change is meant: ``python -m tools.as_before`` names what moved; look at it, then keep it with ``--write``."""
    assert changes(said_before().get(name, {}), said_now((name, SCENES[name]))) == []


def test_every_kept_scene_is_still_there() -> None:
    assert set(said_before()) == set(SCENES)


@pytest.mark.parametrize(
    "other",
    [{"a": 1.001}, {"a": -1.0}, {"a": np.nan}, {"b": [1, 2]}, {"c": "says"}, {"c": None}, {"d": False}, {"e": 1}],
    ids=str,
)
def test_whatever_is_changed_changes_the_print(other: dict[str, object]) -> None:
    said = {"a": 1.0, "b": [2, 1], "c": "said", "d": True}
    assert print_of(said).like(print_of({**said, "a": 1.0 + 1e-9}))
    assert not print_of(said).like(print_of({**said, **other}))
    assert changes({"x": print_of(said)}, {"x": print_of({**said, **other})}) != []


def test_a_part_that_came_or_went_is_named() -> None:
    one = Print(words="w", numbers=1, weighed=0.5)
    assert changes({"x": one}, {"y": one}) == ["x: gone", "y: new"]
