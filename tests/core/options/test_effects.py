"""The table of readings of a whole job: what it shows, what it waits for, what a machine does not have."""

from __future__ import annotations

from typing import Any

import pytest

from modest_rotor.core.assess import effects, fit_job
from modest_rotor.core.job import Job
from tests.jobs import KRAUSE, changed
from tests.said import codes_of


def table(**changes: Any) -> Any:
    job = Job.model_validate(changed(KRAUSE, **changes))
    return effects(job, fit_job(job))


def moves(answer: Any, change: str) -> dict[str, int]:
    row = next(row for row in answer.rows if row.change == change)
    return {move.measurand.value: int(move.direction) for move in row.moves}


@pytest.mark.slow
def test_every_change_of_a_capacitor_fan_has_its_row_with_size_and_uncertainties() -> None:
    answer = table()
    assert [row.change for row in answer.rows][:3] == ["duct tighter", "duct more open", "filter out"]
    assert len(answer.rows) == 11 and answer.source
    for row in answer.rows:
        assert row.size and {move.measurand.value for move in row.moves} == {
            "speed",
            "amps",
            "watts",
            "flow",
            "pressure",
        }
        assert all(-1 <= move.ratio.value < 5 for move in row.moves)
    assert moves(answer, "volts low")["speed"] == -1 and moves(answer, "duct tighter")["flow"] == -1
    dead = next(row for row in answer.rows if row.change == "capacitor dead")
    assert dead.remark and "operating-point-words-runs-once" in codes_of(dead.remark)


@pytest.mark.slow
def test_the_forward_curved_wheel_gives_way_where_the_backward_inclined_hardly_does() -> None:
    """A tighter duct takes watts off a forward-curved wheel; the other kind is solved, and here hardly moves."""
    forward, backward = (
        moves(table(machine__type=machine_type), "duct tighter")
        for machine_type in ("forward-curved", "backward-inclined")
    )
    assert forward["watts"] == -1 and backward["watts"] in (0, -1, 2)
    assert forward["speed"] == 1


def test_a_three_phase_pump_has_neither_capacitor_nor_filter_nor_taps() -> None:
    answer = table(
        machine__type="centrifugal pump", nameplate__phases=3, nameplate__run_capacitance=None, nameplate__rated_current="1.2 A",
        readings__0__current="1.3 A", readings__0__pump_differential="60 kPa", readings__0__water_flow="1.5 L/s",
    )  # fmt: skip
    names = [row.change for row in answer.rows]
    assert names == ["circuit tighter", "circuit more open", "wheel fouled", "something drags", "volts low"]


def test_what_the_table_waits_for_is_named() -> None:
    assert "set-facts-motor-of-waits-rated" in codes_of(table(nameplate__rated_power=None).waits)
    assert "term-rated-volts" in codes_of(table(nameplate__rated_voltage=None).waits)
    assert table(nameplate__rated_voltage=None).rows == ()
