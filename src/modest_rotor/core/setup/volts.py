"""The voltage selector: what it is set for against the volts measured at this machine, twice."""

from __future__ import annotations

from modest_rotor.core.entry import Entry
from modest_rotor.core.phrase import Frozen, Phrase, as_typed
from modest_rotor.core.say import say, tell
from modest_rotor.core.stations.setup import Setup

SAME_VOLTS = 0.03
"""Share by which two measurements of one supply may differ. Our judgement, no source."""
UTILISATION = 0.10
"""Share by which the volts at a motor may stray from its rated ones: NEMA MG 1, 12.44 (from memory)."""


class SelectorAnswer(Frozen):
    """Whether the voltage selector suits: a stop, what is still waited for, or that it is confirmed."""

    stop: Phrase = ()
    waits: str | None = None
    confirmed: bool = False


def selector_answer(setup: Setup) -> SelectorAnswer:
    """The voltage selector against the volts typed twice. Nobody can answer for one that does not match.

    Source: a motor runs within ± 10 % of its rated volts, NEMA MG 1, 12.44 (from memory); measured twice, common practice.
    """
    first, second, selector = setup.first_volts, setup.second_volts, setup.voltage_selector
    if first is None:
        return SelectorAnswer(waits=say("volts-selector-answer-waits-volts"))
    if selector is None:
        return SelectorAnswer(waits=say("volts-selector-answer-waits-what"))
    stop = _mismatch(selector, first) or (_mismatch(selector, second) if second else ())
    if stop:
        return SelectorAnswer(stop=stop)
    if second is None:
        return SelectorAnswer(waits=say("volts-selector-answer-waits-same"))
    if abs(second.si - first.si) > SAME_VOLTS * max(first.si, second.si):
        said = tell("volts-selector-answer-two-measurements", voltage=as_typed("voltage", first, "measured"))
        end = (as_typed("voltage", second, "measured"), say("volts-selector-answer-measure-again"))
        return SelectorAnswer(stop=(*said, *end))
    return SelectorAnswer(confirmed=True)


def _mismatch(selector: Entry, measured: Entry) -> Phrase:
    low = (selector.low if selector.low is not None else selector.si) * (1 - UTILISATION)
    if low <= measured.si <= selector.si * (1 + UTILISATION):
        return ()
    return tell("volts-mismatch", rated_voltage=as_typed("rated_voltage", selector, "plate"), voltage=as_typed("voltage", measured, "measured"))  # fmt: skip
