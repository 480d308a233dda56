"""Protected duties: flow that a code authority or a listing decides, and that nobody here may lower."""

from __future__ import annotations

from modest_rotor.core.assessment import Finding
from modest_rotor.core.job import Station
from modest_rotor.core.options.compare import flow_quantity
from modest_rotor.core.phrase import Phrase, as_typed, figure
from modest_rotor.core.physics.fan import medium_of
from modest_rotor.core.rules.case import Case
from modest_rotor.core.rules.found import found
from modest_rotor.core.say import say, tell


def protected_duty(case: Case) -> tuple[Finding, ...]:
    """A protected duty stops every proposal of a lower flow; shown on Call, Duty and Options."""
    call = case.job.document.call
    if not call.is_protected:
        return ()
    least = _least(case)
    sentence: Phrase = tell("protection-protected-duty-protected-duty", protected=call.protected, least=least)
    action = say("protection-protected-duty-ask-code")
    stations = (Station.CALL, Station.DUTY, Station.OPTIONS)
    return tuple(found("protected_duty", sentence, action, station=station) for station in stations)


def found_below_minimum(case: Case) -> tuple[Finding, ...]:
    """The flow found is under the documented least: not a matter of savings."""
    machine, least = case.machine, case.least_flow
    if not case.job.document.call.is_protected or machine is None or least is None or not machine.flow_is_measured:
        return ()
    if machine.flow.value >= least.si:
        return ()
    name = flow_quantity(machine)
    sentence: Phrase = tell(
        "protection-found-below-minimum-flow-found",
        figure=figure(name, machine.flow, machine.flow_basis),
        as_typed=as_typed(name, least, "typed"),
    )
    action = say("protection-found-below-minimum-report-before")
    return (found("found_below_minimum", sentence, action),)


def protection_unanswered(case: Case) -> tuple[Finding, ...]:
    """Nobody has said whether the flow is protected."""
    if case.job.document.call.protected is not None or not case.options.options:
        return ()
    sentence: Phrase = (say("protection-unanswered-nobody-said"),)
    action = say("protection-unanswered-answer-call")
    return (found("protection_unanswered", sentence, action),)


def _least(case: Case) -> Phrase:
    if case.least_flow is None:
        return (say("protection-least-found-today"),)
    return tell(
        "protection-least-documented", as_typed=as_typed(medium_of(case.machine_type).flow, case.least_flow, "typed")
    )
