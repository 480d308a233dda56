"""The chain that practitioners follow when air is short: open the duct at the unit, read the amps, and go on from there."""

from __future__ import annotations

from modest_rotor.core.assessment import CheckProcedure, CheckStep, StepState
from modest_rotor.core.phrase import Phrase, figure
from modest_rotor.core.physics.fan import MachineType
from modest_rotor.core.rules.capacitor import reads_its_label
from modest_rotor.core.rules.case import Case
from modest_rotor.core.rules.evidence import VOLTS_TOLERANCE
from modest_rotor.core.rules.parts import may_have_capacitor, may_have_taps
from modest_rotor.core.say import say, tell
from modest_rotor.core.stations.readings import DuctState
from modest_rotor.core.stations.set_facts import SetFacts

TITLE = say("chain-title")
OPEN_DUCT = (DuctState.DUCT_OFF, DuctState.PANEL_OPEN)
HANDS = say("chain-hands")
LIVE = say("chain-live")


def short_of_air(case: Case) -> CheckProcedure | None:
    """The chain as far as it was gone, where the flow is under what is wanted on a blower; else nothing.

    On a forward-curved wheel on an induction motor amps climb with air, so amps that climb when the duct is opened say that
    the duct held the air back. On other wheels they need not, and the ranking of causes decides. Source: common practice; the
    direction from the solved machine.
    """
    if case.machine_type is not MachineType.FORWARD_CURVED or case.plate.is_electronic:
        return None
    closed = next((facts for facts in case.sets if facts.reading.duct not in OPEN_DUCT and facts.running.current), None)
    if closed is None or not any(finding for finding in _under(case, closed)):
        return None
    opened = next((facts for facts in case.sets if facts.reading.duct in OPEN_DUCT and facts.running.current), None)
    climbs = _climbs(closed, opened) if opened else None
    steps = [_opening(closed, opened, climbs)]
    if climbs is True:
        verdict: Phrase = (say("chain-short-of-air-amps-climbed"),)
        return CheckProcedure(title=TITLE, steps=tuple(steps), verdict=verdict, action=say("chain-short-of-air-seal-again"))  # fmt: skip
    return _motor_side(case, closed, steps, climbs is False)


def _under(case: Case, closed: SetFacts) -> tuple[bool, ...]:
    wanted = case.wanted.figure
    answer = next((answer for facts, answer in case.answered if facts is closed), None)
    flow = answer.flows.together.figure if answer else None
    return (True,) if wanted and flow and flow.value + (flow.uncertainty or 0.0) < wanted.value else ()


def _climbs(closed: SetFacts, opened: SetFacts) -> bool:
    assert closed.running.current and opened.running.current
    change = opened.running.current - closed.running.current
    return change.value > change.uncertainty


def _opening(closed: SetFacts, opened: SetFacts | None, climbs: bool | None) -> CheckStep:
    told: Phrase = ()
    if opened and opened.running.current and closed.running.current:
        told = tell("chain-opening-amps", current=figure("current", closed.running.current, "measured"), current_2=figure("current", opened.running.current, "measured"))  # fmt: skip
    states = {None: StepState.NEXT, True: StepState.FAULT, False: StepState.GOOD}
    return CheckStep(
        path=None,
        question=say("chain-opening-balancing-plate"),
        caution=HANDS,
        state=states[climbs],
        remark=told,
        if_not=say("chain-opening-if-they"),
    )


def _motor_side(case: Case, closed: SetFacts, steps: list[CheckStep], go_on: bool) -> CheckProcedure:
    """Capacitor where there is one, then volts, then bearings: what is left when the duct is not it."""
    found: list[tuple[str, str, str, bool | None, Phrase, str]] = [
        *([_capacitor(case, closed)] if may_have_capacitor(case) else []),
        _volts(case, closed),
        ("checks/turns", say("chain-motor-side-power-off"), say("chain-motor-side-isolate-lock"), _free(case), (), say("chain-motor-side-bearings-drag")),
    ]  # fmt: skip
    verdict: Phrase | None = None
    waiting = go_on
    for path, question, caution, good, told, if_not in found:
        state = StepState.LATER
        if verdict is None and waiting:
            state = StepState.NEXT if good is None else StepState.GOOD if good else StepState.FAULT
            waiting = state is StepState.GOOD
        if state is StepState.FAULT:
            verdict = (if_not,)
        steps.append(CheckStep(path=path, question=question, caution=caution, state=state, remark=told, if_not=if_not))
    if verdict is None and waiting:
        named = (
            say("chain-motor-side-duct-capacitor") if may_have_capacitor(case) else say("chain-motor-side-duct-volts")
        )
        setting = say("chain-motor-side-tap-chart") if may_have_taps(case) else say("chain-motor-side-setting-chart")
        verdict = (say("chain-motor-side-good-look", named=named, setting=setting),)
    return CheckProcedure(title=TITLE, steps=tuple(steps), verdict=verdict)


def _capacitor(case: Case, closed: SetFacts) -> tuple[str, str, str, bool | None, Phrase, str]:
    label, read = case.job.document.nameplate.run_capacitance, next((facts.reading.capacitance for facts in case.sets if facts.reading.capacitance), None)  # fmt: skip
    read = read or case.job.document.checks.capacitance
    good = reads_its_label(read, label, case.job.document.nameplate) if read and label else None
    return (
        f"readings/{closed.id}/capacitance", say("chain-capacitor-out-circuit"),
        say("chain-capacitor-isolate-discharge"), good, (),
        say("chain-capacitor-capacitor-weak"),
    )  # fmt: skip


def _volts(case: Case, closed: SetFacts) -> tuple[str, str, str, bool | None, Phrase, str]:
    volts, rated = closed.running.voltage, case.job.document.nameplate_as_fed.wired_voltage
    good = None
    if volts and rated:
        good = volts.value >= (rated.low or rated.si) * (1 - VOLTS_TOLERANCE)
    return (
        f"readings/{closed.id}/voltage", say("chain-volts-running-volts"), LIVE, good,
        (figure("voltage", volts, "measured"),) if volts else (),
        say("chain-volts-volts-low"),
    )  # fmt: skip


def _free(case: Case) -> bool | None:
    turns = case.job.document.checks.turns
    return None if turns is None else turns == "free"
