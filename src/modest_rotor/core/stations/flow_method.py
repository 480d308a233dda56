"""A method of finding the flow: what it is called, what it gives, and what speaks against it."""

from __future__ import annotations

from dataclasses import dataclass

from modest_rotor.core.coded import Coded
from modest_rotor.core.estimate import Estimate
from modest_rotor.core.identify.chart import AmpsChart, BlowerTable
from modest_rotor.core.identify.meters import Accuracies
from modest_rotor.core.physics.fan import MachineType, medium_of
from modest_rotor.core.say import say
from modest_rotor.core.stations.charts import Charts
from modest_rotor.core.stations.set_facts import SetFacts
from modest_rotor.core.stations.target import Target
from modest_rotor.core.working import Result, waiting


class FlowMethod(Coded):
    """How a flow is found, the most direct first."""

    MEASURED = "measured"
    RISE = "rise"
    TABLE = "table"
    CHART = "chart"
    AFFINITY = "affinity"
    CURVE = "curve"
    CURVE_POWER = "curve-power"
    POWER = "power"


@dataclass(frozen=True)
class Objection:
    """What speaks against a method: one that is void says nothing here, another is only rough and counts where nothing is better."""

    reason: str
    void: bool = False

    @property
    def words(self) -> str:
        """The reason as it is told."""
        return say("flow-way-words", reason=self.reason) if self.void else self.reason


@dataclass(frozen=True)
class FlowByMethod:
    """The flow by one method.

    :param flow: m³/s with its uncertainty, or ``None``. :param objection: why it is not to be trusted here, if anything speaks against it.
    """

    method: FlowMethod
    worked: Result
    flow: Estimate | None = None
    objection: Objection | None = None


@dataclass(frozen=True)
class FlowContext:
    """What all sets share: the wheel, the charts in the panel, the place, and the set whose flow is known."""

    machine_type: MachineType | None
    charts: Charts
    amps: AmpsChart | None
    table: BlowerTable | None
    target: Target
    known: SetFacts | None
    accuracies: Accuracies = ()

    @property
    def quantity(self) -> str:
        """The quantity in which the flow is told."""
        return medium_of(self.machine_type).flow


def waiting_method(method: FlowMethod, words: str) -> FlowByMethod:
    """A method that waits for what the words say."""
    return FlowByMethod(method, waiting(method.label, (words,)))
