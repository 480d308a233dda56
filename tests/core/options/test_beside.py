"""Options laid side by side: laws of differences, and agreement with what the same options tell by themselves."""

from __future__ import annotations

import re
from typing import Any

import pytest

from modest_rotor.core.assess import assess, beside, fit_job, job_fit_key
from modest_rotor.core.job import Job
from modest_rotor.core.options.beside import BesideAnswer, BesideRow, BesideRowKind
from modest_rotor.core.phrase import plain
from modest_rotor.core.report import build_report
from tests.core.setup.test_setup_answer import HALL, WAITING
from tests.jobs import FITS, KEPT, KRAUSE, assessed, changed
from tests.said import codes_of, says


def laid(data: dict[str, Any], *options: str) -> BesideAnswer:
    job = Job.model_validate(data)
    key = job_fit_key(job)
    return beside(job, options, FITS[key] if key in FITS else FITS.setdefault(key, fit_job(job)), KEPT)


def row(answer: BesideAnswer, kind: BesideRowKind, step: str | None = None) -> BesideRow:
    return next(one for one in answer.rows if one.kind is kind and step in (None, one.step))


def ids(data: dict[str, Any]) -> dict[str, str]:
    return {one.letter: one.id for one in assessed(data).options.options}


def test_every_figure_is_the_one_that_the_option_tells_by_itself() -> None:
    told = {one.id: one for one in assessed(WAITING).options.options}
    shown = [one for one in told.values() if one.saved_energy.figure][:3]
    answer = laid(WAITING, *(one.id for one in shown))
    assert answer.options == tuple(one.id for one in shown) and len(shown) == 3
    for kind, part in (
        (BesideRowKind.ENERGY, "energy"),
        (BesideRowKind.SAVED, "saved_energy"),
        (BesideRowKind.MONEY, "saved_money"),
        (BesideRowKind.WORTH, "worth"),
    ):
        for cell, one in zip(row(answer, kind).cells, shown, strict=True):
            own = getattr(one, part).figure
            assert cell.figure is not None
            assert (cell.figure.value, cell.figure.uncertainty) == (
                pytest.approx(own.value),
                pytest.approx(own.uncertainty),
            ), part
    for step in shown[0].steps:
        cells = row(answer, BesideRowKind.POWER, step.id).cells
        watts = [next(at.input_power for at in one.steps if at.id == step.id) for one in shown]
        assert [cell.figure.value for cell in cells if cell.figure] == [one.value for one in watts if one]


def test_a_difference_turned_round_is_its_negative_with_the_same_uncertainty_and_shared_errors_cancel() -> None:
    letters = ids(WAITING)
    one_way, other_way = (laid(WAITING, *(letters[one] for one in pair)) for pair in ("CE", "EC"))
    counted = 0
    for there, back in zip(one_way.rows, other_way.rows, strict=True):
        assert there.kind is back.kind and there.cells[0].less is None
        forth, again = there.cells[1].less, back.cells[1].less
        if forth is None or again is None:
            continue
        counted += 1
        assert forth.value == pytest.approx(-again.value) and forth.uncertainty == pytest.approx(again.uncertainty)
        first, second = there.cells[0].figure, there.cells[1].figure
        assert first and second and forth.value == pytest.approx(second.value - first.value)
        if there.kind is BesideRowKind.SAVED:
            apart = (float(first.uncertainty or 0) ** 2 + float(second.uncertainty or 0) ** 2) ** 0.5
            assert forth.uncertainty is not None and forth.uncertainty < 0.9 * apart
    assert counted >= 8
    energy, saved = row(one_way, BesideRowKind.ENERGY).cells[1], row(one_way, BesideRowKind.SAVED).cells[1]
    assert energy.less and saved.less and energy.less.value == pytest.approx(-saved.less.value)
    assert energy.less.uncertainty == pytest.approx(saved.less.uncertainty) and energy.ties is saved.ties


def test_the_words_of_in_short_and_the_table_tell_one_difference() -> None:
    short = assessed(HALL).short
    figure = next(piece for piece in short.differences if not isinstance(piece, str))
    first, second = re.findall(r"([A-N]) saves|more than ([A-N])", plain(short.differences))[:2]
    letters = ids(HALL)
    cell = row(laid(HALL, letters[second[1]], letters[first[0]]), BesideRowKind.SAVED).cells[1]
    assert cell.less is not None and not cell.ties
    assert (cell.less.value, cell.less.uncertainty) == (pytest.approx(figure.value), pytest.approx(figure.uncertainty))


def test_what_is_stopped_is_empty_and_what_is_gone_is_left_out() -> None:
    data = WAITING
    stopped = next(one.id for one in assessed(data).options.options if one.stop)
    known = next(one.id for one in assessed(data).options.options if one.saved_energy.figure)
    answer = laid(data, known, stopped, "not there")
    assert answer.options == (known, stopped)
    assert all(line.cells[1].figure is None and line.cells[1].less is None for line in answer.rows)
    assert laid({**KRAUSE, "document": {}}, "keep", "a").options == ()


@pytest.mark.parametrize("data", [WAITING, HALL, KRAUSE])
def test_the_savings_of_the_steps_and_what_starts_and_standby_take_make_the_saving_of_the_year(data: Any) -> None:
    """Steps of a motor without electronics make its year exactly; electronics take a little more while it is off."""
    counted = 0
    for one in assessed(data).options.options[1:]:
        steps = [step.saved.value for step in one.steps if step.saved]
        if one.saved_energy.figure is None or len(steps) != len(one.steps):
            continue
        counted += 1
        missing = sum(steps) - one.saved_energy.figure.value
        if one.kind in ("same-kind", "other-tap", "resheave", "trim"):
            assert missing == pytest.approx(0, abs=1e-6)
        else:
            assert -1e-6 <= missing <= 8760 * 0.03  # thirty watts, more than any standby here
    assert counted >= 2


def test_of_a_dead_motor_every_page_holds_against_a_new_one_of_its_kind() -> None:
    dead = changed(WAITING, call__reason="dead")  # its readings are of before it died
    dead["document"]["decision"] = {"chosen": "ec", "why": "it takes less"}
    dead["document"]["options"] = {
        "candidates": [
            {"id": "same", "kind": "same kind", "price": "300", "labour": "100"},
            {"id": "ec", "kind": "electronic", "price": "600", "labour": "150"},
        ]
    }  # fmt: skip
    told = assessed(dead)
    options = {one.id: one for one in told.options.options}
    assert told.options.against_new and codes_of(options["same"].saved_energy.waits) == {"year-results-the-base"}
    saved = options["ec"].saved_energy.figure
    assert saved is not None
    apart = options["same"].energy.figure.value - options["ec"].energy.figure.value
    assert saved.value == pytest.approx(apart)
    assert sum(step.saved.value for step in options["ec"].steps if step.saved) >= saved.value
    money, payback = options["ec"].saved_money.figure, options["ec"].payback.figure
    assert money and payback and payback.value == pytest.approx((750 - 400) / money.value, rel=1e-6)
    entry = next(one for one in told.rail if one.station == "options")
    assert next(piece for piece in entry.phrase if not isinstance(piece, str)) == saved
    said = " ".join(
        plain(line) for line in build_report(Job.model_validate(dead), told, "2026-01-01", "1").recommendation
    )
    assert "against a new motor of the same kind" in said and says("note-on-what-it-costs-more", said)
    cost = row(laid(dead, "same", "ec"), BesideRowKind.COST)
    assert [cell.figure.value for cell in cost.cells if cell.figure] == [0, pytest.approx(350)]


def test_costs_that_were_quoted_apart_share_no_error() -> None:
    """By hand: 400 within 10 % and 750 within 10 % differ by 350 ± √(40² + 75²); as one meter they would by ± 35."""
    data = changed(WAITING)
    data["document"]["options"] = {
        "candidates": [
            {"id": "same", "kind": "same kind", "price": "300", "labour": "100"},
            {"id": "ec", "kind": "electronic", "price": "600", "labour": "150"},
        ]
    }  # fmt: skip
    less = row(laid(data, "same", "ec"), BesideRowKind.COST).cells[1].less
    assert less is not None and less.value == pytest.approx(350)
    assert less.uncertainty == pytest.approx(
        (40**2 + 75**2) ** 0.5, rel=0.01
    )  # the last digits of what was typed add under 1 %


def test_without_workings_nothing_but_them_is_missing() -> None:
    """What is laid side by side rests on the same solved steps as the assessment, kept or not."""
    job = Job.model_validate(KRAUSE)
    fresh = beside(job, ("keep", "electronic"))
    kept = assess(job).options.options
    watts = [cell.figure.value for cell in row(fresh, BesideRowKind.POWER).cells if cell.figure]
    assert watts == [
        one.steps[0].input_power.value for one in kept if one.id in fresh.options and one.steps[0].input_power
    ]
