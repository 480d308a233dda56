"""What is told of a loading filter: each option's first step, its setting left as it is, on tighter systems.

It is asked for by itself, by whoever looks at it: solved, it takes as long as the rest of the comparison together.
"""

from __future__ import annotations

from dataclasses import replace

from modest_rotor.core.options.answer_steps import flow_quantity
from modest_rotor.core.options.answers import LoadedAnswer, LoadedPoint
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.loading import FACTORS, Loaded, loaded
from modest_rotor.core.options.option_answer import Comparison, Reckoned
from modest_rotor.core.options.year import Solved
from modest_rotor.core.phrase import figure

USUAL_FACTOR = 1.4
"""Flow-dependent part of the system with a loaded filter, over that with it as found. Our judgement, no source."""


def loaded_answer(letter: str, one: Reckoned, against: Comparison) -> LoadedAnswer | None:
    """The picture along its usual states, the one state that was asked for, and the static that was typed; none for an option
    that a stop withholds.
    """
    if one.stop is not None:
        return None
    resistance_factor = against.year.costs.resistance_factor
    picture = _points(one, against, FACTORS, uncertainties=False)
    wanted = _points(one, against, (resistance_factor.si if resistance_factor else USUAL_FACTOR,), uncertainties=True)
    solved = one.solved
    holds = solved.option.traits.holds
    if picture is None or wanted is None or holds is None:
        return None
    static = against.year.costs.loaded_static
    return LoadedAnswer(
        id=solved.candidate.id,
        letter=letter,
        title=solved.candidate.name or solved.option.traits.title,
        series=solved.option.traits.series,
        holds=holds,
        points=picture,
        asked=wanted[0],
        at_static=_at_static(one, against, static.si) if static and against.machine.pressure_is_measured else None,
    )


def _at_static(one: Reckoned, against: Comparison, static_pa: float) -> LoadedPoint | None:
    """What it moves and draws against a static that was typed, every setting left as it is."""
    answer = against.keep(loaded, _technical(one), against.machine, static=static_pa)
    return _point(answer, 0, 1.0, against.machine) if answer else None


def _points(
    one: Reckoned, against: Comparison, factors: tuple[float, ...], uncertainties: bool
) -> tuple[LoadedPoint, ...] | None:
    answer = against.keep(loaded, _technical(one), against.machine, factors, uncertainties=uncertainties)
    if answer is None:
        return None
    return tuple(_point(answer, place, factor, against.machine) for place, factor in enumerate(factors))


def _technical(one: Reckoned) -> Solved:
    """The option without what moves none of its points."""
    return replace(one.solved, candidate=one.solved.candidate.technical)


def _point(answer: Loaded, place: int, factor: float, found: FoundMachine) -> LoadedPoint:
    return LoadedPoint(
        factor=factor,
        flow=figure(flow_quantity(found), answer.flow[place], "estimated"),
        input_power=figure("input_power", answer.input_power[place], "estimated"),
        gives_way=answer.gives_way[place],
    )
