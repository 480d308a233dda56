"""A learner's record: what was predicted, by topic, and what is still mistaken."""

from __future__ import annotations

from collections.abc import Iterable

from modest_rotor.core.bench.course_words import TOPICS
from modest_rotor.core.bench.why import Meter, Moves
from modest_rotor.core.phrase import Frozen


class Predicted(Frozen):
    """One answer: what a meter was said to do, and what it did. ``experiment`` is empty where the change was one's own."""

    experiment: str
    topic: str
    meter: Meter
    said: Moves
    moved: Moves

    @property
    def is_right(self) -> bool:
        """Whether it was said rightly."""
        return self.said is self.moved


class TopicLine(Frozen):
    """How a topic stands: answers, the right ones, meters whose last answer was wrong, and experiments that were tried."""

    topic: str
    asked: int
    right: int
    mistaken: tuple[Meter, ...]
    tried: tuple[str, ...]


class Record(Frozen):
    """How a learner stands, topic by topic in the order of the course; ``mistaken`` is the meter that is wrong most often."""

    topics: tuple[TopicLine, ...]
    asked: int
    right: int
    mistaken: Meter | None


def record_of(answers: Iterable[Predicted]) -> Record:
    """The record that answers make.

    :param answers: oldest first.

    The last answer on a meter of an experiment counts for what is still mistaken. Source: definition.
    """
    given = tuple(answers)
    last = {(one.experiment or one.topic, one.meter): one for one in given}
    wrong = [one.meter for one in given if not one.is_right]
    order = [*TOPICS, *dict.fromkeys(one.topic for one in given if one.topic not in TOPICS)]
    lines = []
    for topic in order:
        own = [one for one in given if one.topic == topic]
        still = dict.fromkeys(one.meter for one in last.values() if one.topic == topic and not one.is_right)
        tried = dict.fromkeys(one.experiment for one in own if one.experiment)
        right = sum(one.is_right for one in own)
        lines.append(TopicLine(topic=topic, asked=len(own), right=right, mistaken=tuple(still), tried=tuple(tried)))
    return Record(
        topics=tuple(lines),
        asked=len(given),
        right=len(given) - len(wrong),
        mistaken=max(set(wrong), key=wrong.count) if wrong else None,
    )
