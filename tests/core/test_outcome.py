"""What is not there says by its class whether it will come, and no result is a sentence."""

from __future__ import annotations

import ast
from pathlib import Path

import modest_rotor.core
from modest_rotor.core.outcome import Absent, Waiting, Withheld
from modest_rotor.core.phrase import figure
from modest_rotor.core.working import Result, Status, not_known, result, waiting, withheld
from tests.core.setup.test_setup_answer import HALL, told
from tests.jobs import KRAUSE, assessed, option

OF_WORDS = {
    "phrase.py",
    "say.py",
    "kept_words.py",
    "commands.py",
    "loop.py",
    "loop_facts.py",
    "drive_settings.py",
    "facts.py",
}
"""Files that take a phrase apart into words and figures; what they ask of a piece is not whether something failed."""
OF_TYPED = {"coded.py", "entry.py", "sheet.py", "duty.py", "calculation.py"}
"""Files that take in what was typed, or words that are an answer by themselves."""


def test_a_result_says_its_status_and_one_of_before_gets_it_from_what_it_holds() -> None:
    known = result("Load", "load", 0.8, "x", (), "Definition.")
    assert (known.status, known.absent) == (Status.KNOWN, None)
    for made, kind in (
        (waiting("Load", ("waits for amps",)), Waiting),
        (withheld("Load", ("withheld: above it",)), Withheld),
    ):
        assert isinstance(made.absent, kind)
        assert not_known("Load", made.absent) == made
    kept = [Result.model_validate(one) for one in ({"label": "a", "waits": ["for it"]}, {"label": "a", "figure": figure("load", 0.5)})]  # fmt: skip
    assert [one.status for one in kept] == [Status.WAITING, Status.KNOWN]


def test_no_file_of_the_core_tells_failure_by_asking_whether_something_is_a_string() -> None:
    found = set()
    for path in Path(modest_rotor.core.__file__).parent.rglob("*.py"):
        for node in ast.walk(ast.parse(path.read_text(encoding="utf-8"))):
            if (
                isinstance(node, ast.Call)
                and getattr(node.func, "id", "") == "isinstance"
                and ast.unparse(node.args[1]) == "str"
            ):
                found.add(path.name)
    assert found == OF_WORDS | OF_TYPED


def test_what_stands_first_is_withheld_and_what_is_still_to_be_read_waits() -> None:
    stopped = [one for one in told(HALL, options__fitting__listing_allows="no").options.options if one.stop]
    unread = option(assessed(KRAUSE, duty__steps__0__hours=None), "B")
    unpriced = option(assessed(KRAUSE, duty__energy_price=None), "B")
    assert unread.energy.status is Status.WAITING and unpriced.payback.status is Status.WAITING
    assert stopped and all(one.energy.status is one.payback.status is Status.WITHHELD for one in stopped)
    base = option(assessed(KRAUSE), "A")
    assert base.saved_energy.status is Status.WITHHELD and base.energy.status is Status.KNOWN
    assert isinstance(base.saved_energy.absent, Absent)
