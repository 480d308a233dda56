"""The exponent of a duct or pipe: as typed, found from two sets of readings, or that of ordinary ones with its doubt."""

from __future__ import annotations

import math
from itertools import combinations

import numpy as np

from modest_rotor.core.entry import Entry
from modest_rotor.core.estimate import Array, Estimate, exactly, measured, propagate
from modest_rotor.core.phrase import Basis
from modest_rotor.core.physics.system import EXPONENT_SPREAD, USUAL_EXPONENT
from modest_rotor.core.say import say
from modest_rotor.core.stations.set_facts import SetFacts

SOURCE = say("term-exponent-of-the-system")
USUAL = measured(USUAL_EXPONENT, **{SOURCE: EXPONENT_SPREAD})
LEAST_APART = 0.15
"""Share by which two flows must differ for an exponent to be told from them. Our judgement, no source."""
LEAST_EXPONENT, MOST_EXPONENT = 1.5, 2.3
"""Beyond these the two sets are not of one system: a damper, a filter or a valve was moved. Our judgement, no source."""
FLOW_REPEATS, PRESSURE_REPEATS = 0.015, 0.015
"""How well flow and pressure repeat on an unchanged system, as shares: what one meter is off in both sets falls out. Our
judgement, no source."""
WIDEST = 0.12
"""Standard deviation beyond which two sets tell no more than is known of ordinary systems."""


def system_exponent(typed: Entry | None, sets: tuple[SetFacts, ...], fixed: Estimate) -> tuple[Estimate, Basis]:
    """The exponent n of p = p_0 + k qⁿ, and what it rests on.

    :param typed: what was said. :param sets: readings of one system. :param fixed: pressure that stays at no flow, Pa.

    From two sets n = ln(Δp_2 ÷ Δp_1) ÷ ln(q_2 ÷ q_1), weighed with what ordinary systems have. Source: the power law of
    friction; JCGM 100 (GUM) for the weights.
    """
    if typed is not None:
        return exactly(typed.si), "typed"
    found = [one for pair in combinations(_telling(sets, fixed), 2) if (one := _of_pair(*pair, fixed)) is not None]
    best = min(found, key=lambda one: one.standard, default=None)
    if best is None or best.standard > WIDEST:
        return USUAL, "assumed"
    share = USUAL.standard**2 / (USUAL.standard**2 + best.standard**2)
    return best * share + USUAL * (1 - share), "estimated"


def _telling(sets: tuple[SetFacts, ...], fixed: Estimate) -> list[SetFacts]:
    return [
        facts
        for facts in sets
        if facts.flow
        and facts.pressure
        and facts.flow_basis == "measured"
        and not facts.one_sided
        and facts.flow.value > 0
        and facts.pressure.value > fixed.value
    ]


def _of_pair(one: SetFacts, other: SetFacts, fixed: Estimate) -> Estimate | None:
    """The exponent that two sets on one state of the duct tell; nothing where they lie too near."""
    assert one.flow and other.flow and one.pressure and other.pressure
    if one.reading.duct != other.reading.duct or abs(math.log(other.flow.value / one.flow.value)) < LEAST_APART:
        return None

    def work(q_1: Array, p_1: Array, q_2: Array, p_2: Array, p_0: Array) -> Array:
        return np.asarray(np.log((p_2 - p_0) / (p_1 - p_0)) / np.log(q_2 / q_1))

    (found,) = propagate(work, one.flow, one.pressure, other.flow, other.pressure, fixed)
    repeats = math.hypot(PRESSURE_REPEATS, USUAL_EXPONENT * FLOW_REPEATS) * math.sqrt(2)
    apart = abs(math.log(other.flow.value / one.flow.value))
    if not math.isfinite(found.value) or not LEAST_EXPONENT <= found.value <= MOST_EXPONENT:
        return None
    return found.with_contribution(f"repeating, {one.title} and {other.title}", repeats / apart)
