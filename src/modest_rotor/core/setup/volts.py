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


class LinkAnswer(Frozen):
    """Whether the link suits: a stop, what is still waited for, or that it is confirmed."""

    stop: Phrase = ()
    waits: str | None = None
    confirmed: bool = False


def link_answer(setup: Setup) -> LinkAnswer:
    """The link against the volts typed twice. Nobody can answer for one that does not match.

    Source: a motor runs within ± 10 % of its rated volts, NEMA MG 1, 12.44 (from memory); measured twice, common practice.
    """
    first, second, link = setup.first_volts, setup.second_volts, setup.link
    if first is None:
        return LinkAnswer(waits=say("volts-link-answer-waits-volts"))
    if link is None:
        return LinkAnswer(waits=say("volts-link-answer-waits-what"))
    stop = _mismatch(link, first) or (_mismatch(link, second) if second else ())
    if stop:
        return LinkAnswer(stop=stop)
    if second is None:
        return LinkAnswer(waits=say("volts-link-answer-waits-same"))
    if abs(second.si - first.si) > SAME_VOLTS * max(first.si, second.si):
        said = tell("volts-link-answer-two-measurements", voltage=as_typed("voltage", first, "measured"))
        end = (as_typed("voltage", second, "measured"), say("volts-link-answer-measure-again"))
        return LinkAnswer(stop=(*said, *end))
    return LinkAnswer(confirmed=True)


def _mismatch(link: Entry, measured: Entry) -> Phrase:
    low = (link.low if link.low is not None else link.si) * (1 - UTILISATION)
    if low <= measured.si <= link.si * (1 + UTILISATION):
        return ()
    return tell("volts-mismatch", rated_voltage=as_typed("rated_voltage", link, "plate"), voltage=as_typed("voltage", measured, "measured"))  # fmt: skip
