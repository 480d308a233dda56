"""The proof's page of the customer's report: what was promised, what was measured, and whether these meters can tell."""

from __future__ import annotations

from modest_rotor.core.assessment import Assessment
from modest_rotor.core.phrase import Figure, Frozen, Phrase
from modest_rotor.core.proof.steps import StepProof
from modest_rotor.core.say import say, tell
from modest_rotor.core.working import Result


class ProofLine(Frozen):
    """A duty step of the proof."""

    name: str
    hours: Phrase
    before: Phrase
    same_flow: Phrase
    after: Phrase
    promised: Phrase
    saved: Phrase
    flow: Phrase


class ReportProof(Frozen):
    """The proof as it is told."""

    option: str
    verdict: str
    sentence: Phrase
    saved: Phrase
    promised: Phrase
    lines: tuple[ProofLine, ...]
    besides: tuple[Phrase, ...]
    signed: str | None


def report_proof(answer: Assessment, signed: str | None) -> ReportProof | None:
    """The page of the proof; nothing where no readings after were taken.

    :param signed: who signed, where this is what was signed.
    """
    proof = answer.proof
    if proof.waits or not any(step.after for step in proof.steps):
        return None
    besides = (*proof.changed, *proof.comfort, *((proof.logged,) if proof.logged else ()))
    systems = tuple(said for step in proof.steps for said in (step.system, step.air) if said)
    return ReportProof(
        option=say("report-proof-option", letter=proof.option, title=proof.title),
        verdict=str(proof.verdict),
        sentence=proof.sentence,
        saved=_of(proof.saved),
        promised=_of(proof.promised),
        lines=tuple(_line(step) for step in proof.steps),
        besides=(*systems, *besides),
        signed=signed,
    )


def _line(step: StepProof) -> ProofLine:
    return ProofLine(
        name=step.name or say("term-step"),
        hours=_told(step.hours),
        before=_told(step.before_watts),
        same_flow=_of(step.same_flow),
        after=_of(step.watts),
        promised=_told(step.promised_watts),
        saved=_of(step.saved_watts),
        flow=(*(tell("report-proof-line-x", flow=step.flow) if step.flow else ()), *step.reached)
        or (say("term-not-read"),),
    )


def _told(figure: Figure | None) -> Phrase:
    return (figure,) if figure else (say("term-not-read"),)


def _of(result: Result) -> Phrase:
    return (result.figure,) if result.figure else result.waits or (say("term-not-known"),)
