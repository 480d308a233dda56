"""What learners of the Bench said and found, kept under the name that they type."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass
from datetime import UTC, datetime

from modest_rotor.core.bench.course import topic_words
from modest_rotor.core.bench.hunting import Ending, Hunting, cheapest_minutes
from modest_rotor.core.bench.record import Predicted
from modest_rotor.core.bench.why import Meter, Moves
from modest_rotor.store.database import in_one_transaction, transaction
from modest_rotor.store.models import HuntRow, PredictionRow

MOST_ANSWERS = 2000
"""Newest answers of a learner that count."""


@dataclass(frozen=True)
class KeptHunt:
    """A hunt that has ended, as it is kept."""

    who: str
    at: datetime
    number: int
    ending: Ending
    minutes: int
    budget: int
    cheapest: int
    acts: tuple[str, ...]
    named: tuple[str, ...]
    next_step: str
    next_right: bool


def keep_predictions(who: str, answers: Iterable[Predicted]) -> None:
    """Keep what was said of a change, all or none."""
    now = datetime.now(UTC)
    rows = [
        {
            "who": who,
            "at": now,
            "experiment": one.experiment,
            "topic": one.topic,
            "meter": str(one.meter),
            "said": int(one.said),
            "moved": int(one.moved),
        }
        for one in answers
    ]
    if rows:
        with transaction():
            PredictionRow.insert_many(rows).execute()


def predictions_of(who: str) -> tuple[Predicted, ...]:
    """A learner's answers, oldest first. A meter that an older program knew and this one does not is left out."""
    newest = (
        PredictionRow.select().where(PredictionRow.who == who).order_by(PredictionRow.id.desc()).limit(MOST_ANSWERS)
    )
    return tuple(
        Predicted(
            experiment=row.experiment,
            topic=topic_words(row.topic),
            meter=Meter(row.meter),
            said=Moves(row.said),
            moved=Moves(row.moved),
        )
        for row in reversed(list(newest))
        if row.meter in set(Meter)
    )


@in_one_transaction
def keep_hunt(who: str, attempt: str, hunting: Hunting) -> None:
    """Keep a hunt that has ended; the same attempt is kept once."""
    assert hunting.ending is not None
    HuntRow.insert(
        attempt=attempt,
        who=who,
        at=datetime.now(UTC),
        number=hunting.hunt.number,
        ending=hunting.ending.value,
        minutes=hunting.minutes,
        budget=hunting.budget,
        cheapest=cheapest_minutes(hunting.hunt.number),
        acts=list(hunting.acts),
        named=list(hunting.named),
        next_step=hunting.next_step,
        next_right=hunting.next_is_right,
    ).on_conflict_ignore().execute()


def hunts_of(who: str | None = None) -> tuple[KeptHunt, ...]:
    """The hunts of a learner, or of all; oldest first."""
    query = HuntRow.select().order_by(HuntRow.id)
    if who is not None:
        query = query.where(HuntRow.who == who)
    return tuple(
        KeptHunt(
            row.who,
            row.at,
            row.number,
            Ending(row.ending),
            row.minutes,
            row.budget,
            row.cheapest,
            tuple(row.acts),
            tuple(row.named),
            row.next_step,
            row.next_right,
        )
        for row in query
    )
