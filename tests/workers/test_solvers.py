"""Solvers: fair between people, newest text first, saves before looks, and alive after one of them was lost."""

from __future__ import annotations

from collections.abc import Iterator

import pytest

from modest_rotor.workers.process import Overtaken, WorkerLost
from modest_rotor.workers.solvers import Level, Solvers
from tests.workers.work import cannot_go_over, die, double, process, sleep, stumble

A_WHILE_S = 1.5
"""So long a solver is kept busy, that everything else is asked of it meanwhile."""

pytestmark = pytest.mark.slow


@pytest.fixture
def one() -> Iterator[Solvers]:
    """One solver, warm, so that what waits is in the order in which it would be worked out."""
    solvers = Solvers()
    solvers.start(1)
    solvers.solve(double, 1)
    yield solvers
    solvers.stop()


def order_of(solvers: Solvers, asked: list[tuple[str, dict]]) -> list[str]:
    """In which order some tasks are answered that were all asked while the solver was at work."""
    done: list[str] = []
    first = solvers.ask(sleep, A_WHILE_S)
    futures = []
    for name, how in asked:
        future = solvers.ask(double, 1, **how)
        future.add_done_callback(lambda _, name=name: done.append(name))
        futures.append(future)
    first.result(30)
    for future in futures:
        if not future.exception(30):
            future.result()
    return done


def test_without_processes_work_is_done_where_it_is_asked_for() -> None:
    assert Solvers().solve(double, 4) == 8
    with pytest.raises(ZeroDivisionError):
        Solvers().solve(stumble)


def test_people_take_turns_however_much_one_of_them_asks(one: Solvers) -> None:
    asked = [(f"A{n}", {"person": "A"}) for n in range(4)] + [("B0", {"person": "B"}), ("C0", {"person": "C"})]
    assert order_of(one, asked) == ["A0", "B0", "C0", "A1", "A2", "A3"]


def test_a_save_goes_before_a_look_and_a_look_before_what_refines_it(one: Solvers) -> None:
    asked = [
        ("refined", {"person": "A", "level": Level.REFINED}),
        ("look", {"person": "B", "level": Level.LOOK}),
        ("save", {"person": "C", "level": Level.SAVE}),
    ]
    assert order_of(one, asked) == ["save", "look", "refined"]


def test_only_the_newest_text_of_a_window_is_worked_out(one: Solvers) -> None:
    busy = one.ask(sleep, A_WHILE_S)
    older = one.ask(double, 1, person="A", about="job", newest=True)
    newer = one.ask(double, 2, person="A", about="job", newest=True)
    other = one.ask(double, 3, person="B", about="job", newest=True)
    assert busy.result(30) == "awake"
    assert isinstance(older.exception(30), Overtaken)
    assert newer.result(30) == 4 and other.result(10) == 6


def test_one_that_dies_is_replaced_and_the_next_is_answered(one: Solvers) -> None:
    with pytest.raises(WorkerLost):
        one.solve(die)
    assert one.solve(double, 5) == 10


def test_errors_come_over_and_so_does_what_cannot(one: Solvers) -> None:
    with pytest.raises(RuntimeError, match="ZeroDivisionError"):
        one.solve(stumble)
    with pytest.raises(RuntimeError, match=r"pickle|local object"):
        one.solve(cannot_go_over)
    assert one.solve(double, 6) == 12


def test_a_job_goes_to_the_solver_that_knows_it() -> None:
    solvers = Solvers()
    solvers.start(2)
    try:
        for _ in range(4):
            solvers.solve(double, 1)
        homes = {about: {solvers.solve(process, about=about) for _ in range(4)} for about in ("one job", "another")}
        assert all(len(home) == 1 for home in homes.values())
    finally:
        solvers.stop()
