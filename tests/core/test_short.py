"""The first page of a job: every state says something true, candidates are ranked by differences, a first answer is prepared."""

from __future__ import annotations

from typing import Any

import pytest

from modest_rotor.core.errors import ChangeRefused
from modest_rotor.core.estimate import exactly, measured
from modest_rotor.core.first import prepared
from modest_rotor.core.job import Job, Station
from modest_rotor.core.options.ranking import differences
from modest_rotor.core.phrase import plain
from modest_rotor.core.stations.options import USUAL
from tests.core.setup.test_setup_answer import HALL, WAITING, demo
from tests.jobs import KRAUSE, assessed, changed
from tests.said import codes_of, refused_with

NAME = {"site": {"name": "A house", "units": "si"}, "machine": {"name": "Only a name"}, "document": {}}
LINE = "HP 1/4 V 110 A 2.9 RPM 1725 HZ 60 PH 1 MFD 15.4"


def short(data: dict[str, Any], **changes: Any) -> Any:
    return assessed(changed(data, **changes)).short


def test_a_name_alone_waits_in_words_and_says_what_is_next() -> None:
    page = assessed(NAME).short
    assert [one.label for one in page.now] == ["moves", "takes", "costs a year"]
    assert all(one.value.figure is None and one.value.waits for one in page.now)
    assert page.candidates == () and page.waits and page.next is not None and page.worst is None


def test_now_is_what_the_machine_moves_takes_and_costs() -> None:
    page = short(WAITING)
    moves, takes, costs = page.now
    assert moves.value.figure.value == pytest.approx(1790 * 0.000471947, rel=0.001)
    # Both of the set on the high tap: 3.07 A, which once stood here, belong to the 561 W of the low one.
    assert takes.value.figure.value == 798 and "3.92" in plain(takes.judged) and "4.4" in plain(takes.judged)
    kept = assessed(WAITING).options.options[0]
    assert costs.value == kept.money and costs.judged == (kept.energy.figure,)


def test_candidates_stand_by_their_saving_with_the_stopped_one_last() -> None:
    page = short(WAITING)
    known = [one.saved.figure.value for one in page.candidates if one.saved.figure]
    assert known == sorted(known, reverse=True) and page.candidates[-1].stop
    base = next(one for one in page.candidates if one.is_base)
    assert base.letter == "A" and base.saved.figure is None and page.base.code == "option-answer-put-right"
    assert [one.letter for one in short(HALL).candidates if one.chosen] == ["D"]


def test_ranks_agree_with_what_options_tell() -> None:
    told = assessed(WAITING)
    savings = {one.letter: one.saved_energy.figure for one in told.options.options}
    for one in told.short.candidates:
        if not one.is_base:
            assert one.saved.figure == savings[one.letter]


def test_now_names_its_set_where_there_are_several_and_keeps_to_it() -> None:
    """Last spring's readings stand for the machine in this job: what was read since is never mixed in, and that is said."""
    told = assessed(demo("ticket_office_fan_coil"))
    moves, takes, _ = told.short.now
    assert "set 1, last spring" in plain(moves.judged) and takes.value.figure.value == 283
    assert "3.14" in plain(takes.judged) and "2.8" not in plain(takes.judged)
    assert told.short.as_found == next(point.id for point in told.balance.points if point.label == "1 last spring")
    alone = short(HALL)
    assert "set" not in plain(alone.now[0].judged)


@pytest.mark.parametrize("name", ["waiting_hall_air_handler", "kitchen_extract_fan", "hall_supply_fan"])
def test_the_rail_tells_one_saving(name: str) -> None:
    """In short and Options, on a job with a stop as well: never a higher one on the one than on the other."""
    told = assessed(demo(name))
    options = next(one.phrase for one in told.rail if one.station is Station.OPTIONS)
    assert told.short.saving and told.short.saving == options[:2]


def test_a_proved_job_tells_what_was_proved_and_not_what_was_promised() -> None:
    told = assessed(demo("baggage_hall_air_handler"))
    assert told.short.saving[0] == "proved: saves " and told.short.saving[1] == told.proof.saved.figure
    assert assessed(NAME).short.saving == ()


def test_a_difference_cancels_what_both_share_and_a_tie_is_an_uncertainty_that_holds_nought() -> None:
    """By hand: hours of ± 400 that both share fall out, each one's own ± 100 stay, √2 × 100 at two standard deviations."""
    shared = {"hours": 200.0}
    first, second = measured(1000.0, **shared, **{"its own": 50.0}), measured(700.0, **shared, another=50.0)
    third = measured(690.0, **shared, **{"a third": 50.0})
    words = differences((("C", first), ("D", second), ("E", third)))
    assert plain(words).startswith("C saves 300 ± 1.4e+02") and "ranking-differences-tie" in codes_of(words)
    assert "tie" in plain(differences((("C", first), ("D", first - measured(50.0, other=60.0)))))
    assert differences((("C", first),)) == () and differences((("C", "waits"), ("D", exactly(1.0)))) == ()


def test_of_a_dead_motor_the_same_kind_new_is_the_base_and_costs_are_what_is_more() -> None:
    """A motor that must be replaced costs its like in any case."""
    dead = changed(KRAUSE, call__reason="dead", readings=[])
    dead["document"]["duty"] = {
        "steps": [{"id": "s1", "name": "all", "hours": "3,000 h", "flow_share": "100 %"}],
        "energy_price": "0.20 per kWh",
    }
    dead["document"]["options"] = {
        "candidates": [
            {"id": "same", "kind": "same kind", "price": "300", "labour": "100"},
            {"id": "ec", "kind": "electronic", "price": "600", "labour": "150"},
        ]
    }  # fmt: skip
    page = assessed(dead).short
    assert page.base.code == "option-answer-new-same-kind"
    rows = {one.id: one for one in page.candidates}
    assert "keep" not in rows and rows["same"].is_base
    assert rows["ec"].cost is not None and rows["ec"].cost.value == pytest.approx(750 - 400)
    told = {one.id: one for one in assessed(dead).options.options}
    apart = told["same"].energy.figure.value - told["ec"].energy.figure.value
    assert rows["ec"].saved.figure is not None and rows["ec"].saved.figure.value == pytest.approx(apart)
    assert "term-nothing-the-motor-is-dead" in codes_of(page.now[0].value.waits or ())


def test_a_protected_duty_stands_first_and_is_counted() -> None:
    worst = assessed(demo("kitchen_extract_fan")).short.worst
    assert worst is not None and worst.severity == "stop" and worst.others == 3


def test_a_first_answer_is_prepared_from_a_line_and_touches_nothing_that_was_said() -> None:
    job = prepared(Job.model_validate(NAME), LINE, "office air handler")
    document = job.document
    assert (
        document.nameplate.line == LINE
        and document.nameplate.rated_current
        and document.nameplate.rated_current.si == 2.9
    )
    assert [one.id for one in document.options.candidates] == [one.id for one in USUAL]
    assert len(document.readings) == 1 and document.readings[0].is_empty
    (step,) = document.duty.steps
    assert step.hours is not None and step.hours.si == 2600 + 520 and step.hours_from == "template"
    assert step.flow_share is not None and step.flow_share.si == 1
    said = Job.model_validate(WAITING)
    assert prepared(said, LINE, "office air handler") == said
    with refused_with(ChangeRefused, "first-year-of-there-template"):
        prepared(Job.model_validate(NAME), building="a castle")


def test_a_doubtful_line_is_kept_and_writes_nothing_that_is_asked_about() -> None:
    """37 kW at 9 A on one phase is asked about on Plate; the line stands as typed."""
    plate = prepared(Job.model_validate(NAME), "230 V 9 A 1PH 37 kW 1435 RPM 50 HZ").document.nameplate
    assert plate.line and plate.rated_power is None
