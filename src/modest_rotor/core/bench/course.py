"""The course: short experiments in the order of the trade, each a data file; what is changed, and what there is to see."""

from __future__ import annotations

from functools import cache
from importlib.resources import files
from typing import Literal

from pydantic import Field, model_validator

from modest_rotor.core.bench.stand import Controls, Tap, stands
from modest_rotor.core.phrase import Frozen
from modest_rotor.core.physics.electronic import Command


class Turned(Frozen):
    """Controls of the rig as an experiment sets them; what is not said stands as built."""

    volts: float = Field(default=1.0, gt=0, le=1.5)
    hertz: float = Field(default=0.0, ge=0, le=120)
    tap: Tap = Tap.HIGH
    bare: bool = False
    damper: float = Field(default=1.0, gt=0, le=1000)
    filter: float = Field(default=1.0, gt=0, le=100)
    lift: float = Field(default=0.0, ge=0, lt=1)
    capacitor: float = Field(default=1.0, ge=0, le=2)
    drag: float = Field(default=0.0, ge=0, le=2)
    command: Command = Command.SPEED
    value: float = Field(default=1.0, gt=0, le=1.5)

    @property
    def controls(self) -> Controls:
        """As the rig takes them."""
        return Controls(**self.model_dump())


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
    ask: str = Field(min_length=10, max_length=300)
    point: str = Field(min_length=10, max_length=300)

    @model_validator(mode="after")
    def _on_a_stand(self) -> Experiment:
        if self.stand not in stands():
            raise ValueError(f"there is no stand called “{self.stand}”")
        if self.before == self.after:
            raise ValueError("an experiment changes something")
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
