"""What comes back for a job: every derived number, with its working, its band and what it waits for."""

from __future__ import annotations

from enum import StrEnum

from pydantic import Field

from modest_rotor.core.job import Station
from modest_rotor.core.options.compare import OptionsAnswer
from modest_rotor.core.phrase import Figure, Frozen, Phrase
from modest_rotor.core.stations.duty import DutyAnswer
from modest_rotor.core.stations.identity import Identity
from modest_rotor.core.stations.plate_answer import PlateAnswer
from modest_rotor.core.stations.set_answer import SetAnswer


class Severity(StrEnum):
    """How much a finding weighs."""

    NOTE = "note"
    CAUTION = "caution"
    STOP = "stop"


class Finding(Frozen):
    """One judgement of a rule: what was found, what it rests on, what to do next."""

    rule: str
    severity: Severity
    station: Station
    sentence: Phrase
    action: str
    source: str
    standing: bool = Field(default=False, description="stands on every job, so it says nothing of this one")


class BalanceCurve(Frozen):
    """A line of the balance: flow and pressure in the units used inside, or relative."""

    id: str
    label: str
    kind: str
    series: str
    flow: tuple[float, ...]
    pressure: tuple[float, ...]


class BalancePoint(Frozen):
    """A point of the balance with its crossed bands."""

    id: str
    label: str
    series: str
    group: str
    flow: Figure
    pressure: Figure


class Readout(Frozen):
    """One column of the band of readouts."""

    id: str
    label: str
    series: str
    group: str
    flow: Figure | None = None
    speed: Figure | None = None
    slip: Figure | None = None
    shaft_power: Figure | None = None
    input_power: Figure | None = None
    current: Figure | None = None


class Balance(Frozen):
    """The machine's curve meeting the system's, with the points found and considered."""

    flow_quantity: str
    pressure_quantity: str
    curves: tuple[BalanceCurve, ...]
    points: tuple[BalancePoint, ...]
    readouts: tuple[Readout, ...]
    waits: tuple[str, ...]


class RailEntry(Frozen):
    """One station's result in a few words."""

    station: Station
    built: bool
    waits: bool
    severity: Severity | None
    phrase: Phrase


class Next(Frozen):
    """The one thing to do next at a station, and what it would narrow."""

    station: Station
    path: str | None
    sentence: Phrase
    why: Phrase
    now: Figure | None = None
    then: Figure | None = None


class BoardLine(Frozen):
    """A job told in one line for the Board."""

    sentence: Phrase
    waits_for: str
    stands_at: Station
    stopped: bool


class Assessment(Frozen):
    """Everything that follows from a job."""

    program_version: str
    currency: str | None
    plate: PlateAnswer
    identity: tuple[Identity, ...]
    sets: tuple[SetAnswer, ...]
    duty: DutyAnswer
    options: OptionsAnswer
    balance: Balance
    findings: tuple[Finding, ...]
    rail: tuple[RailEntry, ...]
    next: tuple[Next, ...]
    board: BoardLine
    refining: bool = Field(
        default=False, description="drawn on an earlier fit of the motor; one for these facts is on its way"
    )
