"""The course: short experiments in the order of the trade, each a data file; what is changed, and what there is to see."""

from __future__ import annotations

from functools import cache
from importlib.resources import files
from typing import Literal

from pydantic import Field, model_validator

from modest_rotor.core.bench.course_words import READ, TOPICS, experiment_message, topic_message
from modest_rotor.core.bench.knobs import Turned
from modest_rotor.core.bench.shipped import stands
from modest_rotor.core.bench.why import Meter
from modest_rotor.core.errors import UnknownItem
from modest_rotor.core.phrase import Frozen
from modest_rotor.core.say import say

Picture = Literal["balance", "torque", "waves"]
SEVERAL = say("course-several")


class Experiment(Frozen):
    """One experiment: what is asked before the change, and the point that the meters then make."""

    format: Literal["modest-rotor experiment"]
    version: Literal[1]
    number: int = Field(ge=1, le=99)
    code: str = Field(pattern=r"^[a-z][a-z-]{2,39}$")
    title: str = Field(min_length=3, max_length=80)
    topic: str = Field(min_length=3, max_length=40)
    stand: str
    before: Turned = Turned()
    after: Turned
    meters: tuple[Meter, ...] = Field(min_length=3, max_length=6, description="that are predicted, in this order")
    picture: Picture = "balance"
    ask: str = Field(min_length=10, max_length=300)
    point: str = Field(min_length=10, max_length=300)

    @model_validator(mode="after")
    def _on_a_stand(self) -> Experiment:
        if self.stand not in stands():
            raise ValueError(f"there is no stand called “{self.stand}”")
        if self.topic not in TOPICS:
            raise ValueError(f"there is no topic called “{self.topic}”")
        if self.before == self.after:
            raise ValueError("an experiment changes something")
        if len(set(self.meters)) < len(self.meters):
            raise ValueError("a meter is named twice")
        return self


@cache
def course() -> tuple[Experiment, ...]:
    """Every experiment that ships, in its order."""
    folder = files(__package__).joinpath("experiments")
    found = [
        Experiment.model_validate_json(file.read_text(encoding="utf-8"))
        for file in folder.iterdir()
        if file.name.endswith(".json")
    ]
    return tuple(sorted(map(_as_said, found), key=lambda one: one.number))


def _as_said(one: Experiment) -> Experiment:
    """An experiment whose sentences are messages; their English stands in its file."""
    words = {name: say(experiment_message(one.code, name)) for name in READ}
    return one.model_copy(update={**words, "topic": say(topic_message(one.topic)), "stand": stands()[one.stand].name})


def topic_words(topic: str) -> str:
    """A topic as it is read. :param topic: one of the table's, or several at once."""
    return say(topic_message(topic)) if topic in TOPICS else topic


def experiment_called(code: str) -> Experiment:
    """An experiment of the course. :raises UnknownItem: there is none of this code."""
    found = next((one for one in course() if one.code == code), None)
    if found is None:
        raise UnknownItem(say("course-experiment-called", code_=code[:40]))
    return found


def topic_of(before: Turned, after: Turned) -> str:
    """The topic of a change that somebody made freely: of the one control that was turned. Source: table above."""
    turned = {name for name in Turned.model_fields if getattr(before, name) != getattr(after, name)}
    topics = [topic for topic, keys in TOPICS.items() if turned & set(keys)]
    return topics[0] if len(topics) == 1 else SEVERAL
