"""How a rule says what it found: the sentence is the rule's own, all else stands in the tables of rules and proofs."""

from __future__ import annotations

from functools import cache

from modest_rotor.core.assessment import Finding, ProvingTest, RuleFacts, Severity
from modest_rotor.core.job import Station
from modest_rotor.core.phrase import Phrase
from modest_rotor.core.stations.set_facts import SetFacts
from modest_rotor.core.tables import find_row, read_table


def found(
    rule: str,
    sentence: Phrase,
    action: str,
    *,
    about: SetFacts | None = None,
    station: Station | None = None,
    severity: Severity | None = None,
    evidence: tuple[Phrase, ...] = (),
    standing: bool = False,
) -> Finding:
    """A finding of a rule.

    :param rule: its identifier in the table of rules. :param about: the set that it concerns, if one.
    :param station: where it is shown, where that is not the rule's own station. :param severity: likewise.
    :param evidence: the very readings it rests on. :param standing: whether it stands on every job.
    """
    facts = _rule(rule)
    key = f"{rule}/{about.id}" if about else rule
    return Finding(
        rule=rule,
        key=key,
        severity=severity or facts.severity,
        station=station or facts.station,
        sentence=sentence,
        action=action,
        source=facts.source,
        standing=standing,
        evidence=evidence,
        test=_proof(rule, about),
        repair=facts.repair,
    )


def all_rules() -> tuple[RuleFacts, ...]:
    """Every rule with its severity, threshold and source, in the order of the table."""
    return tuple(_rule(row["rule"]) for row in read_table("rules"))


@cache
def _rule(name: str) -> RuleFacts:
    row = find_row("rules", rule=name)
    return RuleFacts(
        rule=name,
        severity=Severity(row["severity"]),
        station=Station(row["station"]),
        watches=row["watches"],
        threshold=row["threshold"],
        source=row["source"],
        repair=row["repair"] == "yes",
    )


def _proof(rule: str, about: SetFacts | None) -> ProvingTest | None:
    row = next((row for row in read_table("proofs") if row["rule"] == rule), None)
    if row is None:
        return None
    concerns_set = "{set}" in row["path"]
    path = "" if concerns_set and about is None else row["path"].replace("{set}", about.id if about else "")
    return ProvingTest(
        caution=row["caution"], how=row["how"], proves=row["proves"], clears=row["clears"], path=path or None
    )
