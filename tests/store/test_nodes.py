"""An assessment in nodes: whole it is what its model would be written as; asked for, it is what is wanted and not held."""

from __future__ import annotations

import json
from typing import Any

import pytest

from modest_rotor.core.assess import assess, fit_job
from modest_rotor.core.assessment import Assessment
from modest_rotor.core.changes import read_for, with_change
from modest_rotor.core.job import Job
from modest_rotor.core.options.answers import OptionAnswer
from modest_rotor.demo.load import DEMO_JOBS, _job
from modest_rotor.store.nodes import APART_OF_SHORT, ROW_FIELDS, Nodes, nodes_of
from tests.jobs import KRAUSE


def assessed(job: Job) -> Assessment:
    return assess(job, fit_job(job))


def asked(nodes: Nodes, wanted: str, held: tuple[str, ...] = ()) -> tuple[dict[str, str], dict[str, Any]]:
    answer = json.loads(f"{{{nodes.asked(wanted.split(','), held)}}}")
    assert set(answer) == {"tags", "nodes"}
    return answer["tags"], answer["nodes"]


@pytest.fixture(scope="module")
def hall() -> Job:
    """A job with sets and options."""
    return _job("waiting_hall_air_handler.json")


@pytest.fixture(scope="module")
def nodes(hall: Job) -> Nodes:
    return nodes_of(assessed(hall))


@pytest.mark.parametrize("name", [*DEMO_JOBS, None])
def test_whole_it_is_what_the_model_writes(name: str | None) -> None:
    """Of every demo job, of one with no options, and twice: what was kept as text is the same text."""
    found = assessed(_job(name) if name else Job.model_validate(KRAUSE))
    for _ in range(2):
        assert json.loads(nodes_of(found).whole()) == found.model_dump(mode="json")


def test_an_empty_job_has_its_nodes_as_well() -> None:
    found = assessed(Job.model_validate(KRAUSE | {"document": {}}))
    tags, sent = asked(nodes_of(found), "sets,set,option,steps,options,rail")
    assert sent.keys() == {"sets", "options", "rail"}
    assert sent["sets"] == [] and sent["options"]["rows"] == [] and sent["options"]["steps"] == []
    assert json.loads(nodes_of(found).whole()) == found.model_dump(mode="json")
    assert tags.keys() >= {"short", *APART_OF_SHORT}


def test_every_field_of_an_assessment_is_in_one_node(nodes: Nodes) -> None:
    """Held against the model: a field that is added to it comes over the wire without a word here."""
    plain = Assessment.model_fields.keys() - {"sets", "options", "short"}
    single = {name for name in nodes.texts if "/" not in name}
    assert single == plain | {"sets", "options", "short", *APART_OF_SHORT}


def test_only_what_is_wanted_is_sent_with_the_tags_of_all(nodes: Nodes) -> None:
    tags, sent = asked(nodes, "rail,next,steps/keep")
    assert sent.keys() == {"rail", "next", "steps/keep"}
    assert tags.keys() == nodes.texts.keys()
    assert sent["rail"] == json.loads(nodes.texts["rail"])


def test_a_kind_is_wanted_by_its_name_and_no_other_goes_along(nodes: Nodes, hall: Job) -> None:
    sets = {f"set/{one.id}" for one in hall.document.readings}
    assert asked(nodes, "set")[1].keys() == sets and len(sets) > 1
    options = {f"option/{one.id}" for one in hall.document.options.candidates} | {"option/keep"}
    assert asked(nodes, "option")[1].keys() == options and len(options) > 2
    assert asked(nodes, "option")[1]["option/keep"].keys() == OptionAnswer.model_fields.keys() - {"steps"}
    assert asked(nodes, "")[1] == {}


def test_what_is_held_is_not_sent_again(nodes: Nodes) -> None:
    tags, _ = asked(nodes, "rail,next")
    assert asked(nodes, "rail,next", (tags["rail"],))[1].keys() == {"next"} - (
        {"next"} if tags["next"] == tags["rail"] else set()
    )
    assert asked(nodes, "rail,next", tuple(tags.values()))[1] == {}


def test_rows_of_a_list_hold_what_a_list_shows_and_name_the_steps(nodes: Nodes) -> None:
    options = json.loads(nodes.texts["options"])
    assert all(tuple(row) == ROW_FIELDS or row.keys() == set(ROW_FIELDS) for row in options["rows"])
    assert [step["id"] for step in options["steps"]] == [step["id"] for step in json.loads(nodes.texts["steps/keep"])]


def changed(hall: Job, nodes: Nodes, path: str, typed: str) -> set[str]:
    """The names of the nodes whose tags an edit moves."""
    after = nodes_of(assessed(with_change(hall, path, read_for(hall, path, typed, "si"))))
    assert after.texts.keys() == nodes.texts.keys()
    moved = {name for name in nodes.texts if after.tags[name] != nodes.tags[name]}
    # a tag moves exactly with its text
    assert moved == {name for name in nodes.texts if after.texts[name] != nodes.texts[name]}
    return moved


def test_a_price_moves_money_and_no_set_no_step_and_no_plate(hall: Job, nodes: Nodes) -> None:
    moved = changed(hall, nodes, "duty/energy_price", "0.61")
    assert moved >= {"candidates", "option/keep"}
    assert not {name for name in moved if name.startswith(("set/", "steps/", "plate", "balance", "sets"))}


def test_a_note_moves_nothing_that_is_worked_out(hall: Job, nodes: Nodes) -> None:
    assert changed(hall, nodes, "call/notes", "hums at night") <= {"rail", "board", "next", "short"}


def test_a_reading_moves_its_set_and_those_after_it(hall: Job, nodes: Nodes) -> None:
    last = hall.document.readings[-1].id
    moved = changed(hall, nodes, f"readings/{last}/current", "4.4 A")
    assert f"set/{last}" in moved and "sets" not in moved
