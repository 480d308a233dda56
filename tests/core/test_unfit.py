"""What a model refuses is said in the reader's words, whatever it is."""

from __future__ import annotations

import enum
from datetime import UTC, date, datetime
from typing import Any, Literal, get_args

import pytest
from pydantic import BaseModel, ConfigDict, Field, ValidationError
from pydantic_core.core_schema import ErrorType

from modest_rotor.core.changes import with_change
from modest_rotor.core.errors import ChangeRefused
from modest_rotor.core.say import reader_of, reading, say, words_for
from modest_rotor.core.unfit import OTHER_FORM, REASONS, first_reason
from modest_rotor.demo.load import DEMO_JOBS, _job

SPANISH = reader_of("es-ES")


class Kind(enum.Enum):
    """Two answers."""

    ONE = "one"


class Inner(BaseModel):
    """A model inside another."""

    x: float = 0


class Everything(BaseModel):
    """A field of every kind that the program's own models have."""

    model_config = ConfigDict(extra="forbid")
    kind: Kind = Kind.ONE
    literal: Literal["a", "b"] = "a"
    text: str = Field(default="ab", min_length=1, max_length=3)
    code: str = Field(default="a", pattern="^[a-z]+$")
    whole: int = Field(default=2, gt=1, lt=5)
    number: float = Field(default=2, ge=0.5, le=4.5, allow_inf_nan=False)
    yes: bool = True
    many: tuple[int, ...] = Field(default=(1,), min_length=1, max_length=2)
    by_name: dict[str, int] = {}
    inner: Inner = Inner()
    day: date = date(2026, 3, 1)
    moment: datetime = datetime(2026, 3, 1, tzinfo=UTC)


WRONG: dict[str, tuple[Any, ...]] = {
    "kind": ("three", None, 3),
    "literal": ("c", None),
    "text": ("", "abcd", 3, None),
    "whole": (1, 5, "x", 2.5, None, "9" * 5000),
    "number": (0.4, 4.6, "x", None, float("inf"), float("nan")),
    "yes": ("maybe", None),
    "many": ((), (1, 2, 3), 3, ("x",)),
    "by_name": (3, None),
    "inner": (3, None, {"x": "y"}),
    "day": ("never", None, [], "2026-03-01T10:00:00"),
    "moment": ("never", None, []),
}


def _refused(field: str, value: Any) -> ValidationError:
    with pytest.raises(ValidationError) as caught:
        Everything.model_validate({field: value})
    return caught.value


@pytest.mark.parametrize(("field", "value"), [(field, value) for field, values in WRONG.items() for value in values])
def test_each_kind_of_field_says_what_it_takes(field: str, value: Any) -> None:
    place, reason = first_reason(_refused(field, value))
    assert place.split("/")[0] == field
    assert getattr(reason, "code", OTHER_FORM) != OTHER_FORM
    assert words_for(reason, SPANISH) != reason


def test_a_field_that_is_none_and_one_that_is_of_another_form() -> None:
    assert first_reason(_refused("strange", 1)) == ("strange", say("unfit-no-such-place"))
    assert first_reason(_refused("code", "A1")) == ("code", say(OTHER_FORM))


def test_limits_are_said_with_the_signs_of_the_reader() -> None:
    reason = first_reason(_refused("number", 9))[1]
    assert "4.5" in reason and "4,5" in words_for(reason, SPANISH)


def test_the_kinds_are_those_of_the_data_models() -> None:
    assert sorted(REASONS.keys() - set(get_args(ErrorType))) == []


@pytest.mark.parametrize(
    ("path", "after"),
    [
        ("duty/currency", "12"),
        ("call/notes", "a\0b"),
        ("call/notes", "\ud800"),
        ("call/reason", "because"),
        ("readings/sets", 3),
        ("machine/name", "x" * 5000),
    ],
)
def test_a_refused_change_is_told_whole_in_the_words_of_the_reader(path: str, after: Any) -> None:
    with pytest.raises(ChangeRefused) as caught:
        with_change(_job(DEMO_JOBS[0]), path, after)
    english = caught.value.sentence
    with reading(SPANISH):
        spanish = words_for(english)
    assert spanish != english
    assert not {"the", "that", "takes", "fit", "letters", "kept", "valid"} & set(
        spanish.lower().replace(",", " ").split()
    )
