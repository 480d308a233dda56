"""The course: short experiments in the order of the trade, each a data file; what is changed, and what there is to see."""

from __future__ import annotations

from functools import cache
from importlib.resources import files
from typing import Literal

from pydantic import Field, model_validator

from modest_rotor.core.bench.knobs import Turned
from modest_rotor.core.bench.shipped import stands
from modest_rotor.core.bench.why import Meter
from modest_rotor.core.errors import UnknownItem
from modest_rotor.core.phrase import Frozen

Picture = Literal["balance", "torque", "waves"]
SEVERAL = "several at once"
TOPICS = {
    "slip": ("bare", "drag"),
    "taps": ("tap",),
    "restriction": ("open", "filter", "outlets"),
    "capacitor": ("capacitor", "label"),
    "volts and hertz": ("volts", "hertz", "unbalance", "law"),
    "waves of a drive": ("carrier_hz",),
    "what an electronic motor holds": ("command", "value"),
    "air": ("air_c",),
    "two fans": ("fans",),
    "static lift": ("lift",),
    "a loop": ("loop", "set_point", "gain", "integral_s", "sensor_at", "sensor_s"),
    "the year": ("hours", "low_hours", "low"),
}
"""Which topic a change belongs to, by the control that is turned."""


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
    return tuple(sorted(found, key=lambda one: one.number))


def experiment_called(code: str) -> Experiment:
    """An experiment of the course. :raises UnknownItem: there is none of this code."""
    found = next((one for one in course() if one.code == code), None)
    if found is None:
        raise UnknownItem(f"There is no experiment called “{code[:40]}”.")
    return found


def topic_of(before: Turned, after: Turned) -> str:
    """The topic of a change that somebody made freely: of the one control that was turned. Source: table above."""
    turned = {name for name in Turned.model_fields if getattr(before, name) != getattr(after, name)}
    topics = [topic for topic, keys in TOPICS.items() if turned & set(keys)]
    return topics[0] if len(topics) == 1 else SEVERAL
