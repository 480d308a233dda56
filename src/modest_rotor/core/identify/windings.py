"""Which terminal is which: three resistances on a triangle of terminals, and the order of speed taps."""

from __future__ import annotations

import itertools
import math
from dataclasses import dataclass

from modest_rotor.core.coded import Coded
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.say import Number, say
from modest_rotor.core.tables import find_row

OPEN_OHM = 1e6
"""Resistance above which a motor winding is open: sound ones have ohms, the smallest a few hundred. Common practice."""
SHORT_OHM = 0.05
"""Resistance below which the meter shows its own leads or a dead short. Common practice, no source."""
COVERAGE = 1.959964
PLAIN_MISFIT = 3.0
"""Standard deviations beyond which the sum rule is broken and not merely strained."""


class Windings(Coded):
    """What three resistances between three terminals say."""

    START_AND_RUN = "start-and-run"
    EQUAL = "equal"
    TWO_EQUAL = "two-equal"
    OPEN = "open"
    SHORTED = "shorted"
    RULE_BROKEN = "rule-broken"


@dataclass(frozen=True)
class WindingReading:
    """What the three resistances say.

    :param verdict: which case it is.
    :param common: number of the terminal that is common, 0 to 2; the one that reads open to both others where one does.
    :param start: number of the start terminal. :param run: number of the run terminal.
    :param misfit: the highest less the sum of the other two, in standard deviations of the meter.
    """

    verdict: Windings
    common: int | None = None
    start: int | None = None
    run: int | None = None
    misfit: float = 0.0

    @property
    def is_strained(self) -> bool:
        """Whether the sum rule holds only beyond the 95 % error of the meter: to be read again before it is believed."""
        return abs(self.misfit) > COVERAGE


PAIRS = ((0, 1), (1, 2), (2, 0))


def read_windings(first_second: float, second_third: float, third_first: float) -> WindingReading:
    """Common, start and run terminal from three resistances, or what is wrong with them.

    :param first_second: Ω between the first two terminals; ``second_third`` and ``third_first`` likewise. 1 MΩ and more is open.
    :raises OutsideValidity: a resistance below zero.

    The pair with the highest resistance runs through both windings in series, so the terminal left out of it is common; of
    the other two pairs the higher one holds the start winding. The highest must be the sum of the others within the error of
    the meter. Validity: every lead disconnected, motor cold, no capacitor across. Source: resistances in series; that start
    windings have more of it is common practice, no source. Error of the ohmmeter: table meter_accuracy.
    """
    ohms = (first_second, second_third, third_first)
    if min(ohms) < 0:
        raise OutsideValidity(say("identify-windings-read-windings", ohms=Number(min(ohms), "g")))
    if max(ohms) >= OPEN_OHM:
        return WindingReading(Windings.OPEN, common=_open_terminal(ohms))
    if min(ohms) <= SHORT_OHM:
        return WindingReading(Windings.SHORTED)
    highest = max(range(len(ohms)), key=lambda pair: ohms[pair])
    others = sorted((pair for pair in range(len(ohms)) if pair != highest), key=lambda pair: ohms[pair])
    low, middle = others
    spread = math.hypot(*(ohmmeter_sd(value) for value in ohms))
    misfit = (ohms[highest] - ohms[low] - ohms[middle]) / spread
    if _same(ohms[highest], ohms[low]):
        return WindingReading(Windings.EQUAL)
    common = _left_out(highest)
    if abs(misfit) > PLAIN_MISFIT:
        return WindingReading(Windings.RULE_BROKEN, misfit=misfit)
    if _same(ohms[low], ohms[middle]):
        return WindingReading(Windings.TWO_EQUAL, common=common, misfit=misfit)
    return WindingReading(Windings.START_AND_RUN, common, _other(middle, common), _other(low, common), misfit)


def ohmmeter_sd(ohm: float) -> float:
    """Standard deviation of a resistance read on a winding, Ω; contact of the probes included. Source: table meter_accuracy."""
    row = find_row("meter_accuracy", quantity="winding_resistance")
    return (float(row["relative"]) * ohm + float(row["absolute"])) / COVERAGE


def order_of_speeds(ohms: tuple[float, ...]) -> tuple[int, ...]:
    """Places of speed leads from the highest speed to the lowest, by resistance to the common lead.

    :param ohms: Ω from each speed lead to common.
    :raises OutsideValidity: a lead that reads open, or two that read the same within the error of the meter.

    Extra turns in series lower the speed and add resistance: the most resistance is the lowest speed. Common practice, no
    source.
    """
    if any(value >= OPEN_OHM for value in ohms):
        raise OutsideValidity(say("identify-windings-order-of-speeds-speed-lead"))
    ordered = sorted(range(len(ohms)), key=lambda place: ohms[place])
    for one, next_one in itertools.pairwise(ordered):
        if _same(ohms[one], ohms[next_one]):
            raise OutsideValidity(
                say(
                    "identify-windings-order-of-speeds-same-within",
                    ohms=Number(ohms[one], "g"),
                    ohms_2=Number(ohms[next_one], "g"),
                )
            )
    return tuple(ordered)


def _same(one: float, other: float) -> bool:
    return abs(one - other) <= COVERAGE * math.hypot(ohmmeter_sd(one), ohmmeter_sd(other))


def _left_out(pair: int) -> int:
    return next(terminal for terminal in range(len(PAIRS)) if terminal not in PAIRS[pair])


def _other(pair: int, terminal: int) -> int:
    first, second = PAIRS[pair]
    return second if first == terminal else first


def _open_terminal(ohms: tuple[float, float, float]) -> int | None:
    """The one terminal that reads open to both others, where there is just one."""
    opened = [pair for pair in range(len(ohms)) if ohms[pair] >= OPEN_OHM]
    if len(opened) != 2:
        return None
    return next(iter(set(PAIRS[opened[0]]) & set(PAIRS[opened[1]])))
