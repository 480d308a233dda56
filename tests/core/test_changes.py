"""Named changes: what an edit may touch, and that a refused one leaves the job as it was."""

from __future__ import annotations

import pytest

from modest_rotor.core.changes import label_of, next_id, read_for, value_at, with_change, without_item
from modest_rotor.core.entry import Entry
from modest_rotor.core.errors import ChangeRefused, QuantityRefused
from modest_rotor.core.job import Job
from tests.jobs import KRAUSE
from tests.said import refused_with

JOB = Job.model_validate(KRAUSE)


def test_a_quantity_is_read_in_the_readers_unit_and_put_in_its_place() -> None:
    entry = read_for(JOB, "nameplate/rated_power", "1/3", "ip")
    assert isinstance(entry, Entry) and entry.unit == "hp"
    changed = with_change(JOB, "nameplate/rated_power", entry)
    assert changed.document.nameplate.rated_power == entry
    assert JOB.document.nameplate.rated_power != entry


def test_items_of_a_list_are_found_by_their_id() -> None:
    assert value_at(JOB, "readings/s1/name") == "slip 0.05"
    changed = with_change(JOB, "duty/steps/s2/name", "night")
    assert [step.name for step in changed.document.duty.steps] == ["full", "night"]
    assert label_of(JOB, "readings/s1/current").code == "field-ReadingSet-current"


def test_the_machine_is_edited_through_the_same_door() -> None:
    assert with_change(JOB, "machine/type", "axial").machine.type == "axial"
    assert value_at(JOB, "machine/name") == "Krause quarter horse on a fan"


def test_empty_text_is_empty_never_zero() -> None:
    assert read_for(JOB, "readings/s1/current", "  ", "si") is None
    assert with_change(JOB, "readings/s1/current", None).document.readings[0].current is None


@pytest.mark.parametrize(
    ("path", "value", "words"),
    [
        ("nameplate/colour", "red", "no place called"),
        ("readings/s9/current", None, "not there any more"),
        ("site/name", "x", "no place called"),
        ("format", "x", "no place called"),
        ("nameplate", {}, None),
        ("readings/s1/id", "s7", "no place called"),
        ("__class__", "x", "no place called"),
        ("plate/../machine", "x", "no place called"),
        ("machine/name", "", "needs a name"),
        ("machine/type", "square", "kept as it was"),
        ("nameplate/phases", 2, "none of its answers"),
        ("duty/currency", "dollars", "three letters, for example USD"),
        ("nameplate/rated_power", {"typed": "3 V"}, "unit of voltage"),
        ("readings", [{"id": "s1"}, {"id": "s1"}], "same id"),
        ("duty/steps", [{"id": f"s{number}"} for number in range(25)], "at most 24"),
        ("call/notes", "x" * 2001, "at most 2000"),
    ],
)
def test_an_edit_that_does_not_fit_is_refused_in_words(path: str, value: object, words: str | None) -> None:
    if words is None:
        assert with_change(JOB, path, value).document.nameplate.rated_power is None
        return
    with pytest.raises((ChangeRefused, QuantityRefused), match=words):
        with_change(JOB, path, value)


def test_ids_are_short_and_new() -> None:
    assert next_id([]) == "s1"
    assert next_id([{"id": "s2"}, {"id": "s7"}, {"id": "x"}]) == "s8"


def test_an_item_is_removed_once() -> None:
    rest = without_item(JOB, "duty/steps", "s1")
    assert [item["id"] for item in rest] == ["s2"]
    with refused_with(ChangeRefused, "changes-without-item"):
        without_item(JOB, "duty/steps", "s5")


def test_a_currency_is_written_in_capitals() -> None:
    assert with_change(JOB, "duty/currency", " usd ").document.duty.currency == "USD"


def test_a_script_stays_text() -> None:
    script = "<script>alert('x')</script>"
    assert with_change(JOB, "call/notes", script).document.call.notes == script
