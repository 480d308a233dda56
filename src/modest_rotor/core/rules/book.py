"""The book of rules: every rule there is, in the order in which their findings are shown."""

from __future__ import annotations

from collections.abc import Callable

from modest_rotor.core.assessment import Finding, Severity
from modest_rotor.core.rules import evidence, fit, protection, safety
from modest_rotor.core.rules.case import Case

Rule = Callable[[Case], tuple[Finding, ...]]

RULES: tuple[Rule, ...] = (
    protection.protected_duty,
    protection.found_below_minimum,
    protection.protection_unanswered,
    safety.isolate_before_plate,
    safety.live_readings,
    safety.electronic_wiring,
    safety.drive_wiring,
    safety.heat_after_airflow,
    evidence.dead_motor,
    evidence.plate_denies_itself,
    evidence.above_synchronous,
    evidence.amps_over_plate,
    evidence.volts_off_plate,
    evidence.watts_over_volt_amperes,
    evidence.air_power_over_shaft_power,
    fit.plate_is_doubtful,
    fit.readings_do_not_fit,
    fit.machine_does_not_fit,
    fit.below_switch_speed,
    evidence.methods_disagree,
    evidence.assumed_no_lift,
)


def judge(case: Case) -> tuple[Finding, ...]:
    """All findings of a case, stops first, otherwise in the book's order."""
    findings = [finding for rule in RULES for finding in rule(case)]
    weight = {Severity.STOP: 0, Severity.CAUTION: 1, Severity.NOTE: 2}
    return tuple(sorted(findings, key=lambda finding: weight[finding.severity]))
