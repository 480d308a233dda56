"""What a motor without a plate is: an answer with its confidence and its alternatives."""

from __future__ import annotations

import itertools
from collections.abc import Iterator
from enum import StrEnum

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.identify.kinds import PARTS, LikelyKind, likely_kinds
from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.identify.poles import SURE_SHARE, PoleCount, possible_poles
from modest_rotor.core.identify.windings import OPEN_OHM, WindingReading, Windings, order_of_speeds, read_windings
from modest_rotor.core.phrase import Frozen, Phrase, figure
from modest_rotor.core.say import Number, capital, joined, say, small, tell, unasked
from modest_rotor.core.stations.identification import SPEED_LEADS, Identification, Lead, Loading
from modest_rotor.core.tables import find_row

PRACTICE = say("label-common-practice-no-source")
LEAST_GROUND_OHM = 1e6
"""Insulation of a motor below 1,000 V is to be 1 MΩ at the least; IEEE Std 43 asks more of new ones (from memory)."""
AUXILIARY_LEAP = 1.5
"""Ratio of resistances beyond which a lead is no further speed tap. Common practice, no source."""
ORDER_WORDS = (say("identity-order-words-highest-speed"), say("identity-order-words-lowest-speed"))


class Told(StrEnum):
    """What an answer of the identification is about."""

    TERMINALS = "terminals"
    POLES = "poles"
    WINDINGS = "windings"
    GROUND = "ground"
    OTHER_LEAD = "other_lead"
    SPEEDS = "speeds"
    KIND = "kind"
    RELAY = "relay"
    BOTH_ENDS = "both_ends"
    OUTER_ROTOR = "outer_rotor"


class Identity(Frozen):
    """One question of the identification, answered as far as it can be.

    :param about: what it is about, by which a page knows where it stands.
    :param share: how sure the answer is, 0 to 1; absent where it is not a matter of likelihood.
    :param alternatives: what else it could be. :param ask: the reading that would settle it.
    :param motor_kind: the kind found, ready to be put on the plate.
    """

    about: Told
    question: str
    answer: Phrase
    share: float | None = None
    alternatives: tuple[str, ...] = ()
    ask: str | None = None
    doubtful: bool = False
    motor_kind: MotorKind | None = None
    details: tuple[str, ...] = ()
    source: str = PRACTICE


def identify(asked: Identification, leads: tuple[Lead, ...], phases: int | None = None) -> tuple[Identity, ...]:
    """Everything that can be said of a motor without a plate: poles, windings, insulation, speeds, kind.

    :param phases: of the plate, where it tells them.
    """
    hermetic = asked.hermetic == "yes"
    windings = winding_reading(asked)
    # A sealed machine is read to ground first: its pins carry pressure, and a grounded winding makes them vent.
    told = None if hermetic and asked.to_ground is None else windings
    return (
        *_hermetic(asked),
        *_poles(asked),
        *(_ground(asked) if hermetic else ()),
        *_windings(asked, told),
        *(() if hermetic else _ground(asked)),
        *_speeds(leads),
        *_kind(asked, told, phases),
        *_relay(asked),
        *_built(asked),
    )


def _hermetic(asked: Identification) -> Iterator[Identity]:
    """The way for a sealed machine: its caution, then to ground, then the pairs."""
    if asked.hermetic != "yes":
        return
    grounded = asked.to_ground is not None and asked.to_ground.si < LEAST_GROUND_OHM
    yield Identity(
        about=Told.TERMINALS,
        question=say("identity-hermetic-terminals-sealed"),
        answer=(
            say("identity-hermetic-pins-sealed"),
        ),
        ask=say("identity-hermetic-read-each") if asked.to_ground is None
        else say("identity-hermetic-pin-grounded") if grounded else None,
        doubtful=asked.to_ground is None or grounded,
    )  # fmt: skip


def winding_reading(asked: Identification) -> WindingReading | None:
    """What the three resistances say, where all three were read."""
    read = (asked.first_second, asked.second_third, asked.third_first)
    ohms = [entry.si for entry in read if entry is not None]
    return read_windings(*ohms) if len(ohms) == len(read) else None


def terminal_names(asked: Identification) -> tuple[str, str, str]:
    """The terminals as they are marked, or by their place."""
    said = (asked.first_terminal, asked.second_terminal, asked.third_terminal)
    first, second, third = (name or place for name, place in zip(said, ("first", "second", "third"), strict=True))
    return first, second, third


def _poles(asked: Identification) -> Iterator[Identity]:
    if asked.speed is None or asked.frequency is None:
        return
    question = say("identity-poles-poles-speed")
    try:
        found = possible_poles(asked.speed.si, asked.frequency.si, asked.loading is Loading.LIGHTLY)
    except OutsideValidity as refusal:
        yield Identity(about=Told.POLES, question=question, answer=(refusal.sentence,), doubtful=True)
        return
    best, *rest = found
    sure = best.share >= SURE_SHARE
    ask = None if sure else say("identity-poles-read-speed")
    yield Identity(
        about=Told.POLES,
        question=question,
        answer=_pole_words(best),
        share=best.share,
        alternatives=tuple(
            say("identity-poles-poles-slipping", poles=one.poles, slip=Number(100 * one.slip, ".0f")) for one in rest
        ),
        ask=ask,
        doubtful=not sure,
        source=say("identity-poles-definition-slip"),
    )


def _pole_words(best: PoleCount) -> Phrase:
    return tell("identity-pole-words", poles=best.poles, slip=figure("slip", best.slip))


def _windings(asked: Identification, found: WindingReading | None) -> Iterator[Identity]:
    if found is None:
        return
    names = terminal_names(asked)
    words, ask, doubtful = _winding_words(found, names)
    yield Identity(
        about=Told.WINDINGS,
        question=say("identity-windings-windings-three"),
        answer=(words,),
        ask=ask,
        doubtful=doubtful,
        source=say("identity-windings-resistances-series"),
    )


def _winding_words(found: WindingReading, names: tuple[str, str, str]) -> tuple[str, str | None, bool]:
    """What to say, what to do, and whether it is in doubt."""
    again = say("identity-winding-words-disconnect-every")
    if found.verdict is Windings.START_AND_RUN:
        assert found.common is not None and found.start is not None and found.run is not None
        words = say(
            "identity-winding-words-common-start",
            names=names[found.common],
            names_2=names[found.start],
            names_3=names[found.run],
        )
        if found.is_strained:
            return say("identity-winding-words-perhaps-but", words=words), again, True
        return say("identity-winding-words-highest-sum", words=words), None, False
    if found.verdict is Windings.EQUAL:
        return say("identity-winding-words-three-equal"), None, False
    if found.verdict is Windings.TWO_EQUAL:
        assert found.common is not None
        words = say("identity-winding-words-common-start-run", names=names[found.common])
        return (
            say("identity-winding-words-reversible-motor", words=words),
            say("identity-winding-words-read-finer"),
            True,
        )
    if found.verdict is Windings.SHORTED:
        return say("identity-winding-words-pair-reads"), again, True
    if found.verdict is Windings.OPEN:
        at = say("identity-winding-words-reads-open", names=names[found.common]) if found.common is not None else ""
        words = say("identity-winding-words-winding-open", at=at)
        return (words, say("identity-winding-words-let-cool"), True)
    return say("identity-winding-words-highest-sum-other"), again, True


def _ground(asked: Identification) -> Iterator[Identity]:
    if asked.to_ground is None:
        return
    good = asked.to_ground.si >= LEAST_GROUND_OHM
    words = say("identity-ground-holds") if good else say("identity-ground-does-hold")
    value: Phrase = (
        (say("identity-open"),)
        if asked.to_ground.si >= OPEN_OHM**2
        else (figure("ground_resistance", asked.to_ground.si, "measured"),)
    )
    yield Identity(
        about=Told.GROUND,
        question=say("identity-ground-insulation-ground"),
        answer=tell("identity-ground-insulation", words=words, value=value),
        doubtful=not good,
        source=say("identity-ground-ieee-std"),
    )


def _speeds(leads: tuple[Lead, ...]) -> Iterator[Identity]:
    read = [lead for lead in leads if lead.ohms and (lead.function is None or lead.function in SPEED_LEADS)]
    other = _auxiliary_lead(read)
    read = [lead for lead in read if lead is not other]
    if other is not None:
        yield Identity(
            about=Told.OTHER_LEAD,
        question=say("identity-speeds-lead-perhaps"),
            answer=(say("identity-speeds-far-more", colour=other.colour or say("identity-speeds-one-lead")),),
            ask=say("identity-speeds-see-whether"),
            doubtful=True,
        )  # fmt: skip
    if len(read) < 2:
        return
    question = say("identity-speeds-speeds-resistance")
    try:
        order = order_of_speeds(tuple(lead.ohms.si for lead in read if lead.ohms))
    except OutsideValidity as refusal:
        yield Identity(about=Told.SPEEDS, question=question, answer=(refusal.sentence,), doubtful=True)
        return
    named = [read[place].colour or say("identity-speeds-lead", place=place + 1) for place in order]
    words = say(
        "identity-speeds-most-resistance",
        order_words=ORDER_WORDS[0],
        order_words_2=ORDER_WORDS[1],
        named=joined(", ", named),
    )
    wrong = [
        one
        for one, other in itertools.pairwise(order)
        if _rank(read[one]) is not None and _rank(read[other]) is not None and _rank(read[one]) > _rank(read[other])  # type: ignore[operator]
    ]
    ask = say("identity-speeds-functions-said") if wrong else None
    yield Identity(about=Told.SPEEDS, question=question, answer=(words,), ask=ask, doubtful=bool(wrong))


def _auxiliary_lead(read: list[Lead]) -> Lead | None:
    """The one lead of unsaid use whose resistance leaps beyond all others: an auxiliary winding has more than any tap adds."""
    ordered = sorted(read, key=lambda lead: lead.ohms.si if lead.ohms else 0.0)
    if len(ordered) < 2 or ordered[-1].function is not None or not ordered[-1].ohms or not ordered[-2].ohms:
        return None
    return ordered[-1] if ordered[-1].ohms.si > AUXILIARY_LEAP * ordered[-2].ohms.si else None


def _rank(lead: Lead) -> int | None:
    return SPEED_LEADS.index(lead.function) if lead.function in SPEED_LEADS else None


def _kind(asked: Identification, windings: WindingReading | None, phases: int | None) -> Iterator[Identity]:
    parts = {part: getattr(asked, part) == "yes" for part in PARTS if getattr(asked, part) is not None}
    if not parts:
        return
    best, *rest = likely_kinds(parts, windings.verdict if windings else None, phases)
    sure = best.share >= SURE_SHARE
    yield Identity(
        about=Told.KIND,
        question=say("identity-kind-kind-what"),
        answer=(say("identity-kind-answer", kind=capital(best.kind)),),
        share=best.share,
        alternatives=tuple(one.kind for one in rest),
        ask=None if sure else _what_tells(best, rest, parts),
        doubtful=not sure,
        motor_kind=best.motor_kind,
        details=(best.behaves, best.fails, say("identity-kind-may-replaced", replaced_by=small(best.replaced_by))),
    )


def _relay(asked: Identification) -> Iterator[Identity]:
    """What kind of start relay it has, where that was seen."""
    if asked.relay_kind is None:
        return
    row = find_row("start_relays", relay=str(asked.relay_kind))
    doubtful = asked.relay == "no"
    yield Identity(
        about=Told.RELAY,
        question=say("identity-relay-start-relay"),
        answer=(say("identity-relay-relay", relay_kind=capital(asked.relay_kind)),),
        ask=say("identity-relay-said-there") if doubtful else None,
        doubtful=doubtful,
        details=(row["knows"], row["fails"], say("identity-relay-replaced", replaced_by=small(row["replaced_by"]))),
    )


def _built(asked: Identification) -> Iterator[Identity]:
    """What shaft and rotor ask for."""
    if asked.both_ends == "yes":
        yield Identity(
            about=Told.BOTH_ENDS,
            question=say("identity-built-shaft-both"),
            answer=(say("identity-built-turns-wheel"),),
            details=(say("identity-built-rotation-said"),),
        )
    if asked.outer_rotor == "yes":
        yield Identity(
            about=Told.OUTER_ROTOR,
            question=say("identity-built-outer-rotor"),
            answer=(say("identity-built-motor-wheel"),),
        )


def _what_tells(best: LikelyKind, rest: list[LikelyKind], parts: dict[str, bool]) -> str:
    open_parts = [part for part in PARTS if part not in parts]
    if not open_parts:
        return say("identity-what-tells-parts-contradict")
    named = [Identification.model_fields[part].title or part for part in open_parts]
    return say("identity-what-tells-look-also", value=joined(", ", (unasked(title) for title in named)))
