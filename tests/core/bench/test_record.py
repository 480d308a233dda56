"""A learner's record: by hand, from answers in their order."""

from __future__ import annotations

from modest_rotor.core.bench.course_words import TOPICS
from modest_rotor.core.bench.record import Predicted, record_of
from modest_rotor.core.bench.why import Meter, Moves

UP, DOWN = Moves.RISES, Moves.FALLS
FIRST, SECOND = list(TOPICS)[:2]


def said(experiment: str, topic: str, meter: Meter, right: bool) -> Predicted:
    return Predicted(experiment=experiment, topic=topic, meter=meter, said=UP if right else DOWN, moved=UP)


def test_of_each_meter_the_last_answer_counts_and_the_meter_wrong_most_often_is_named() -> None:
    told = record_of(
        (
            said("a", FIRST, Meter.AMPS, False),
            said("a", FIRST, Meter.AMPS, True),  # learned
            said("a", FIRST, Meter.WATTS, False),
            said("b", FIRST, Meter.WATTS, False),
            said("", "one's own", Meter.SPEED, False),
        )
    )
    assert [one.topic for one in told.topics] == [*TOPICS, "one's own"]
    first, second, own = told.topics[0], told.topics[1], told.topics[-1]
    assert (first.asked, first.right, first.mistaken, first.tried) == (4, 1, (Meter.WATTS,), ("a", "b"))
    assert (second.asked, second.right, second.mistaken, second.tried) == (0, 0, (), ())
    assert (own.asked, own.mistaken, own.tried) == (1, (Meter.SPEED,), ())
    assert (told.asked, told.right, told.mistaken) == (5, 1, Meter.WATTS)


def test_nothing_answered_is_nothing_mistaken() -> None:
    told = record_of(())
    assert (told.asked, told.right, told.mistaken) == (0, 0, None) and len(told.topics) == len(TOPICS)
