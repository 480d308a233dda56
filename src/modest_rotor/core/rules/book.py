"""The book of rules: every rule there is, in the order in which their findings are shown."""

from __future__ import annotations

from collections.abc import Callable

from modest_rotor.core.assessment import CheckProcedure, Finding, Severity
from modest_rotor.core.rules import air, capacitor, evidence, fit, load, protection, safety, supply, windings
from modest_rotor.core.rules.case import Case
from modest_rotor.core.rules.chain import short_of_air
from modest_rotor.core.rules.dead import dead_motor
from modest_rotor.core.rules.found import found
from modest_rotor.core.rules.parts import for_this_kind
from modest_rotor.core.say import joined, say
from modest_rotor.core.stations.statement import standing
from modest_rotor.core.tables import find_row

Rule = Callable[[Case], tuple[Finding, ...]]

RULES: tuple[Rule, ...] = (
    protection.protected_duty,
    protection.found_below_minimum,
    protection.protection_unanswered,
    safety.isolate_before_plate,
    safety.live_readings,
    safety.two_speeds,
    safety.electronic_wiring,
    safety.drive_wiring,
    safety.heat_after_airflow,
    evidence.dead_motor,
    air.machine_stood,
    windings.winding_to_ground,
    windings.winding_fault,
    supply.connection_does_not_match,
    supply.high_leg,
    load.amps_over_service_factor,
    capacitor.capacitor_overvolted,
    supply.volts_unbalanced,
    evidence.plate_denies_itself,
    evidence.plate_facts_disagree,
    evidence.power_may_be_input,
    supply.connection_unsaid,
    capacitor.capacitor_off_label,
    capacitor.capacitor_under_load,
    supply.two_oh_eight_on_230,
    air.static_over_rating,
    air.flow_per_ton,
    air.rise_outside_plate,
    load.blocked_air_cooks,
    load.shell_too_hot,
    load.regulator_turned_down,
    load.overload_does_not_fit,
    load.starts_too_often,
    air.readings_contradict,
    evidence.above_synchronous,
    evidence.amps_over_plate,
    evidence.volts_off_plate,
    evidence.watts_over_volt_amperes,
    evidence.cannot_be_so,
    fit.plate_is_doubtful,
    fit.readings_do_not_fit,
    fit.machine_does_not_fit,
    fit.below_switch_speed,
    evidence.methods_disagree,
    air.flow_under_target,
    supply.amps_unbalanced,
    load.far_under_load,
    capacitor.capacitor_shared,
    air.reading_withheld,
    evidence.assumed_no_lift,
)


def judge(case: Case) -> tuple[Finding, ...]:
    """All findings of a case with what was said of each; open ones first, stops first among them, then the book's order."""
    weight = {Severity.STOP: 0, Severity.CAUTION: 1, Severity.NOTE: 2}
    findings = [_marked(for_this_kind(finding, case), case) for rule in RULES for finding in rule(case)]
    findings += repair_first(case, findings)
    return tuple(sorted(findings, key=lambda finding: (not finding.is_open, weight[finding.severity])))


def _marked(finding: Finding, case: Case) -> Finding:
    marks = tuple(mark for mark in case.job.document.marks if mark.finding == finding.key)
    newest = next(reversed(standing(marks)), None)
    return finding.model_copy(update={"marks": marks, "state": newest.state if newest else None})


def repair_first(case: Case, findings: list[Finding]) -> tuple[Finding, ...]:
    """Before the options: what has to be put right first, because it would be judged along with them."""
    named = tuple(
        dict.fromkeys(find_row("rules", rule=one.rule)["watches"] for one in findings if one.repair and one.is_open)
    )
    if not named or not case.options.options:
        return ()
    sentence = say("rules-book-repair-first-repair-first", named=joined("; ", named))
    action = say("rules-book-repair-first-settle-findings")
    return (found("repair_first", (sentence,), action),)


def procedures_of(case: Case) -> tuple[CheckProcedure, ...]:
    """The chains of checks that belong to a case."""
    return tuple(procedure for procedure in (dead_motor(case), short_of_air(case)) if procedure is not None)
