"""What each duty step asks for, as a share of full flow of the repaired machine."""

from __future__ import annotations

from modest_rotor.core.options.contract import Demand
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.keep import on_named_tap
from modest_rotor.core.outcome import Absent, Waiting, Withheld
from modest_rotor.core.physics.fan import MachineType
from modest_rotor.core.say import Number, say
from modest_rotor.core.stations.duty import DutyStep, Wants
from modest_rotor.core.stations.motor_fit import LOWER_TAPS

MOST_SHARE = 1.6
"""Flow over full flow beyond which a step asks for another machine. Our judgement, no source."""


def demand_of(step: DutyStep, found: FoundMachine, wanted_flow: float | None) -> Demand | Absent:
    """What a step asks for, or the sentence that says what it waits for.

    :param wanted_flow: of the design, m³/s; ``None`` where nobody said it.
    :param step: of the year, as typed. :param found: whose full flow it is a share of, m³/s or relative. Source: definition.
    """
    named = f"“{step.name}”" if step.name else say("term-a-step")
    share = _share(step, found, wanted_flow, named)
    if isinstance(share, Absent):
        return share
    if share > MOST_SHARE:
        return Withheld(say("demands-demand-of-asks-full", named=named, share=Number(share, ".0%")))
    return Demand(step.id, share, tap=LOWER_TAPS.get(step.tap) if step.wants is Wants.TAP and step.tap else None)


def _share(step: DutyStep, found: FoundMachine, wanted_flow: float | None, named: str) -> float | Absent:
    if step.wants in (None, Wants.SHARE):
        return step.flow_share.si if step.flow_share else Waiting(say("demands-share-waits-share", named=named))
    if step.wants is Wants.AS_IT_RUNS:
        return 1.0
    if step.wants is Wants.TAP:
        return _tap_share(step, found, named)
    flow = step.water_flow if found.machine_type is MachineType.PUMP else step.airflow
    if step.wants is Wants.DESIGN:
        if step.design_share is None:
            return Waiting(say("demands-share-waits-share-wanted", named=named))
        if wanted_flow is None:
            return Waiting(say("demands-share-waits-wanted"))
        wanted = step.design_share.si * wanted_flow
    elif flow is None:
        return Waiting(say("demands-share-waits-flow", named=named))
    else:
        wanted = flow.si
    return wanted / found.flow.value if found.flow_is_measured else Waiting(say("demands-share-waits-measured"))


def _tap_share(step: DutyStep, found: FoundMachine, named: str) -> float | Absent:
    if step.tap is None:
        return Waiting(say("demands-tap-share-waits-tap", named=named))
    lower = LOWER_TAPS.get(step.tap)
    if lower is None:
        return 1.0
    point = on_named_tap(found, Demand(step.id, 1.0, tap=lower))
    return (
        point.flow.value / found.flow.value
        if point.flow
        else point.absent or Waiting(say("demands-tap-share-waits-flow", named=named))
    )
