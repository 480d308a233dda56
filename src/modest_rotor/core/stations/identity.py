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
from modest_rotor.core.stations.identification import SPEED_LEADS, Identification, Lead, Loading
from modest_rotor.core.tables import find_row

PRACTICE = "Common practice, no source."
LEAST_GROUND_OHM = 1e6
"""Insulation of a motor below 1,000 V is to be 1 MΩ at the least; IEEE Std 43 asks more of new ones (from memory)."""
AUXILIARY_LEAP = 1.5
"""Ratio of resistances beyond which a lead is no further speed tap. Common practice, no source."""
ORDER_WORDS = ("highest speed", "lowest speed")


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
        question="Terminals of a sealed machine",
        answer=(
            "Pins of a sealed shell can blow out with hot oil and refrigerant: face clear, cover held on while power is on. Power"
            " off, locked, proved dead; every lead off the pins, capacitor discharged.",
        ),
        ask="Read each pin to the bare shell first; the three pairs after that." if asked.to_ground is None
        else "A pin is grounded: put the cover back, do not energise it." if grounded else None,
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
    question = "Poles, from the speed"
    try:
        found = possible_poles(asked.speed.si, asked.frequency.si, asked.loading is Loading.LIGHTLY)
    except OutsideValidity as refusal:
        yield Identity(about=Told.POLES, question=question, answer=(refusal.sentence,), doubtful=True)
        return
    best, *rest = found
    sure = best.share >= SURE_SHARE
    ask = (
        None
        if sure
        else "Read the speed once more, lightly loaded, on the highest tap: a loaded tap can look like another pole count."
    )
    yield Identity(
        about=Told.POLES,
        question=question,
        answer=_pole_words(best),
        share=best.share,
        alternatives=tuple(f"{one.poles} poles, slipping {100 * one.slip:.0f} %" for one in rest),
        ask=ask,
        doubtful=not sure,
        source="Definition of slip; usual slips our judgement, no source.",
    )


def _pole_words(best: PoleCount) -> Phrase:
    return (f"{best.poles} poles, slipping ", figure("slip", best.slip))


def _windings(asked: Identification, found: WindingReading | None) -> Iterator[Identity]:
    if found is None:
        return
    names = terminal_names(asked)
    words, ask, doubtful = _winding_words(found, names)
    yield Identity(
        about=Told.WINDINGS,
        question="Windings, from three resistances",
        answer=(words,),
        ask=ask,
        doubtful=doubtful,
        source="Resistances in series; which winding has more is common practice, no source.",
    )


def _winding_words(found: WindingReading, names: tuple[str, str, str]) -> tuple[str, str | None, bool]:
    """What to say, what to do, and whether it is in doubt."""
    again = "Disconnect every lead and the capacitor, zero the meter's own leads, and read all three again."
    if found.verdict is Windings.START_AND_RUN:
        assert found.common is not None and found.start is not None and found.run is not None
        words = f"{names[found.common]} is common, {names[found.start]} start, {names[found.run]} run"
        if found.is_strained:
            return f"Perhaps {words}; but the highest is not quite the sum of the other two.", again, True
        return f"{words}; the highest is the sum of the other two within the meter's error.", None, False
    if found.verdict is Windings.EQUAL:
        return "Three equal pairs: three-phase, or the motor behind an electronic module.", None, False
    if found.verdict is Windings.TWO_EQUAL:
        assert found.common is not None
        words = f"{names[found.common]} is common; start and run read the same, so they cannot be told apart"
        return (
            f"{words}: a reversible motor, or a meter too coarse.",
            "Read with a finer range; else follow the capacitor.",
            True,
        )
    if found.verdict is Windings.SHORTED:
        return "A pair reads as good as nothing: a short between turns, or probes that touch.", again, True
    if found.verdict is Windings.OPEN:
        at = f" {names[found.common]} reads open to both others." if found.common is not None else ""
        words = f"A winding is open, or the thermal switch inside is.{at}"
        return (
            words,
            "Let it cool for half an hour and read again before condemning it: a thermal switch closes by itself.",
            True,
        )
    return "The highest is not the sum of the other two: these are not the three ends of two windings.", again, True


def _ground(asked: Identification) -> Iterator[Identity]:
    if asked.to_ground is None:
        return
    good = asked.to_ground.si >= LEAST_GROUND_OHM
    words = "holds" if good else "does not hold: a winding touches the frame, or is wet"
    value: Phrase = (
        ("open",)
        if asked.to_ground.si >= OPEN_OHM**2
        else (figure("ground_resistance", asked.to_ground.si, "measured"),)
    )
    yield Identity(
        about=Told.GROUND,
        question="Insulation to ground",
        answer=("Insulation ", f"{words} (", *value, ")."),
        doubtful=not good,
        source="IEEE Std 43, least insulation resistance (from memory); 1 MΩ common practice.",
    )


def _speeds(leads: tuple[Lead, ...]) -> Iterator[Identity]:
    read = [lead for lead in leads if lead.ohms and (lead.function is None or lead.function in SPEED_LEADS)]
    other = _auxiliary_lead(read)
    read = [lead for lead in read if lead is not other]
    if other is not None:
        yield Identity(
            about=Told.OTHER_LEAD,
        question="A lead that is perhaps no speed",
            answer=(f"{other.colour or 'One lead'} has far more resistance than the others: the auxiliary winding's, not the lowest speed.",),
            ask="See whether it goes to the capacitor; say what it is for, and it is put in its place.",
            doubtful=True,
        )  # fmt: skip
    if len(read) < 2:
        return
    question = "Speeds, from resistance to common"
    try:
        order = order_of_speeds(tuple(lead.ohms.si for lead in read if lead.ohms))
    except OutsideValidity as refusal:
        yield Identity(about=Told.SPEEDS, question=question, answer=(refusal.sentence,), doubtful=True)
        return
    named = [read[place].colour or f"lead {place + 1}" for place in order]
    words = f"From {ORDER_WORDS[0]} to {ORDER_WORDS[1]}: {', '.join(named)}. The most resistance is the lowest speed."
    wrong = [
        one
        for one, other in itertools.pairwise(order)
        if _rank(read[one]) is not None and _rank(read[other]) is not None and _rank(read[one]) > _rank(read[other])  # type: ignore[operator]
    ]
    ask = "The functions said do not go in that order: look at the leads again." if wrong else None
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
        question="Kind, from what is on it",
        answer=(f"{best.kind[0].upper()}{best.kind[1:]}.",),
        share=best.share,
        alternatives=tuple(one.kind for one in rest),
        ask=None if sure else _what_tells(best, rest, parts),
        doubtful=not sure,
        motor_kind=best.motor_kind,
        details=(best.behaves, best.fails, f"May be replaced by: {best.replaced_by[0].lower()}{best.replaced_by[1:]}"),
    )


def _relay(asked: Identification) -> Iterator[Identity]:
    """What kind of start relay it has, where that was seen."""
    if asked.relay_kind is None:
        return
    row = find_row("start_relays", relay=str(asked.relay_kind))
    doubtful = asked.relay == "no"
    yield Identity(
        about=Told.RELAY,
        question="Start relay",
        answer=(f"{asked.relay_kind[0].upper()}{asked.relay_kind[1:]} relay.",),
        ask="It was said that there is none: look again." if doubtful else None,
        doubtful=doubtful,
        details=(row["knows"], row["fails"], f"Replaced by: {row['replaced_by'][0].lower()}{row['replaced_by'][1:]}"),
    )


def _built(asked: Identification) -> Iterator[Identity]:
    """What shaft and rotor ask for."""
    if asked.both_ends == "yes":
        yield Identity(
            about=Told.BOTH_ENDS,
            question="Shaft at both ends",
            answer=("It turns a wheel at each end: its load is both of them.",),
            details=(
                "Its rotation is said from one stated end; the wheels are handed. Only another with two shafts takes its place.",
            ),
        )
    if asked.outer_rotor == "yes":
        yield Identity(
            about=Told.OUTER_ROTOR,
            question="Outer rotor",
            answer=("Motor and wheel are one piece, balanced together: the whole fan is replaced.",),
        )


def _what_tells(best: LikelyKind, rest: list[LikelyKind], parts: dict[str, bool]) -> str:
    open_parts = [part for part in PARTS if part not in parts]
    if not open_parts:
        return "The parts contradict each other: look at them once more."
    named = [Identification.model_fields[part].title or part for part in open_parts]
    return f"Look also for: {', '.join(title.rstrip('?').lower() for title in named)}."
