"""A result's status, which the page and the tests read, says the same as the words beside it."""

from __future__ import annotations

from collections.abc import Iterator
from typing import Any

import pytest
from pydantic import BaseModel
from tools.as_before.scenes import kept_jobs

from modest_rotor.core.assess import assess, fit_job
from modest_rotor.core.working import Result, Status

WORDS_OF = {"withheld": Status.WITHHELD, "void": Status.WITHHELD, "waits for": Status.WAITING}


def _results(value: Any) -> Iterator[Result]:
    """Every result that stands anywhere in an answer."""
    if isinstance(value, Result):
        yield value
    elif isinstance(value, BaseModel):
        for name in type(value).model_fields:
            yield from _results(getattr(value, name))
    elif isinstance(value, (tuple, list)):
        for one in value:
            yield from _results(one)
    elif isinstance(value, dict):
        for one in value.values():
            yield from _results(one)


@pytest.mark.slow
def test_what_says_withheld_is_withheld_and_what_says_it_waits_is_waiting() -> None:
    """Over every kept job; a result that says neither in its first words is not judged."""
    wrong, met = set(), set()
    for job in kept_jobs():
        for one in _results(assess(job, fit_job(job))):
            words = "".join(piece for piece in one.waits or () if isinstance(piece, str))
            for first, status in WORDS_OF.items():
                if words.startswith(first):
                    met.add(status)
                    if one.status is not status:
                        wrong.add((one.label, words, one.status.value))
    assert met == {Status.WAITING, Status.WITHHELD}
    assert not wrong
