"""What comes back for a job: every derived number, with its working, its uncertainty and what it waits for."""

from __future__ import annotations

from pydantic import Field

from modest_rotor.core.coded import Coded
from modest_rotor.core.job import Station
from modest_rotor.core.options.checks.place import Fits
from modest_rotor.core.options.compare import OptionsAnswer
from modest_rotor.core.phrase import Figure, Frozen, Phrase
from modest_rotor.core.proof.answer import ProofAnswer
from modest_rotor.core.setup.answer import SetupAnswer
from modest_rotor.core.stations.charts import ChartState
from modest_rotor.core.stations.duty import DutyAnswer
from modest_rotor.core.stations.findings import Mark, MarkState
from modest_rotor.core.stations.identity import Identity
from modest_rotor.core.stations.plate_answer import PlateAnswer
from modest_rotor.core.stations.reading_round import RoundStep
from modest_rotor.core.stations.set_answer import SetAnswer
from modest_rotor.core.withheld import LeftOut
from modest_rotor.core.working import Result


class Severity(Coded):
    """How much a finding weighs."""

    NOTE = "note"
    CAUTION = "caution"
    STOP = "stop"


class ProvingTest(Frozen):
    """The test that would prove or clear a finding: caution first, both outcomes said before it is done."""

    caution: str
    how: str
    proves: str
    clears: str
    path: str | None = Field(default=None, description="the field that its result is typed into")


class RuleFacts(Frozen):
    """A rule as the page of rules shows it."""

    rule: str
    severity: Severity
    station: Station
    watches: str
    threshold: str
    source: str
    repair: bool


class Finding(Frozen):
    """One judgement of a rule: what was found, what it rests on, what to do next, and what would prove it."""

    rule: str
    key: str = Field(description="the rule and the set it concerns: what a mark refers to")
    severity: Severity
    station: Station
    sentence: Phrase
    action: str
    source: str
    standing: bool = Field(default=False, description="stands on every job, so it says nothing of this one")
    evidence: tuple[Phrase, ...] = ()
    test: ProvingTest | None = None
    repair: bool = Field(default=False, description="to be put right before any replacement is thought of")
    marks: tuple[Mark, ...] = Field(default=(), description="what the technician said of it, the newest last")
    state: MarkState | None = Field(default=None, description="what was said of it last and was not withdrawn")

    @property
    def is_open(self) -> bool:
        """Whether it still calls for something: neither cleared nor fixed."""
        return self.state in (None, MarkState.CONFIRMED, MarkState.NOT_NOW)


class StepState(Coded):
    """How far a step of a procedure has come."""

    GOOD = "good"
    FAULT = "fault"
    NEXT = "next"
    LATER = "later"


class CheckStep(Frozen):
    """One thing to look at: its caution first, what it would mean, and what was found."""

    formerly = (("remark", "told"),)

    path: str | None
    question: str
    caution: str
    state: StepState
    remark: Phrase = ()
    if_not: str | None = None


class CheckProcedure(Frozen):
    """A chain of checks, each of which decides the next; with the verdict once it is reached."""

    title: str
    steps: tuple[CheckStep, ...]
    verdict: Phrase | None = None
    action: str | None = None


class BalanceCurve(Frozen):
    """A line of the balance: flow and pressure in the units used inside, or relative."""

    id: str
    label: str
    kind: str
    series: str
    flow: tuple[float, ...]
    pressure: tuple[float, ...]


class BalancePoint(Frozen):
    """A point of the balance with its crossed uncertainties."""

    id: str
    label: str
    series: str
    group: str
    flow: Figure
    pressure: Figure


class Readout(Frozen):
    """One column of the strip of readouts."""

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


class NowLine(Frozen):
    """One figure of how it is now, or what it waits for, with what to judge it by; ``station`` is where it comes from."""

    label: str
    station: Station
    value: Result
    judged: Phrase = ()


class WorstFinding(Frozen):
    """The worst that is open, and how many stand behind it."""

    key: str
    station: Station
    severity: Severity
    sentence: Phrase
    others: int


class CandidateAnswer(Frozen):
    """One candidate in a line. ``limit`` is the first of its limits; none of one that is stopped."""

    formerly = (("limit", "cannot"),)

    id: str
    letter: str
    title: str
    series: str
    fits: Fits
    asks: str | None = Field(default=None, description="the first thing about its fit that is not known")
    stop: str | None = None
    chosen: bool = False
    is_base: bool = False
    saved: Result
    money: Result
    cost: Figure | None = None
    payback: Result
    limit: str | None = None


class ShortAnswer(Frozen):
    """A job on one page: how it is now, the worst that is open, the candidates by what they save, and what to do next.

    ``base`` says in words what they are held against; ``saving`` what the job saves a year in a few words, the same as Options
    and Proof tell; ``as_found`` is the set that ``now`` stands on.
    """

    now: tuple[NowLine, ...]
    worst: WorstFinding | None = None
    waits: str | None = None
    base: str = ""
    candidates: tuple[CandidateAnswer, ...] = ()
    differences: Phrase = ()
    saving: Phrase = ()
    as_found: str | None = None
    next: Next | None = None
    stands_at: Station


class BoardLine(Frozen):
    """A job told in one line for the Board."""

    sentence: Phrase
    waits_for: str
    stands_at: Station
    stopped: bool
    energy_now: Figure | None = Field(default=None, description="a year of the repaired machine")
    energy_after: Figure | None = Field(default=None, description="a year with what was chosen")


class Assessment(Frozen):
    """Everything that follows from a job."""

    formerly = (("procedures", "ways"),)

    program_version: str
    currency: str | None
    plate: PlateAnswer
    identity: tuple[Identity, ...]
    sets: tuple[SetAnswer, ...]
    round: tuple[RoundStep, ...] = Field(default=(), description="readings in the order that saves walks")
    wanted_flow: Result
    amps_chart: ChartState | None
    blower_table: ChartState | None
    duty: DutyAnswer
    options: OptionsAnswer
    balance: Balance
    setup: SetupAnswer
    proof: ProofAnswer
    findings: tuple[Finding, ...]
    procedures: tuple[CheckProcedure, ...]
    rail: tuple[RailEntry, ...]
    next: tuple[Next, ...]
    board: BoardLine
    short: ShortAnswer
    left_out: tuple[LeftOut, ...] = Field(
        default=(), description="what was typed and is kept, but with which nothing can be worked out"
    )
    refining: bool = Field(
        default=False, description="drawn on an earlier fit of the motor; one for these facts is on its way"
    )
