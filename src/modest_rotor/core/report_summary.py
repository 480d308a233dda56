"""Page one of the report: what a customer reads in a minute, before anything an engineer asks."""

from __future__ import annotations

from modest_rotor.core.assessment import Assessment, Finding, Severity
from modest_rotor.core.job import Job
from modest_rotor.core.options.answers import OptionAnswer
from modest_rotor.core.phrase import Figure, Frozen, Phrase
from modest_rotor.core.proof.answer import UNPROVED
from modest_rotor.core.working import Result

MOST_TOLD = 3
NOTHING_FOUND = "Nothing was found that is wrong with the machine itself."
BANDS = (
    "The ± and the ranges: in simulated trials 95 of 100 machines came out inside them. Real ones may stray further."
)
PRICES = "That prices of energy, the hours it runs, and the building stay as they were taken here."
HEAT = "Heat that the old motor gave to the air or water: where it was wanted, it has to be made otherwise."
PROTECTED = "No lower flow than what protects the people and goods here: that is not ours to change."


class KeyFigure(Frozen):
    """A figure of page one with the words that it stands over."""

    label: str
    value: Phrase


class ReportSummary(Frozen):
    """What was found, what is proposed, what it costs and saves, what that rests on, and what is not promised.

    ``before`` and ``after`` are energies of a year for the picture, nothing where one is not known, or where the saving was proved:
    the picture is of a promise.
    """

    found: tuple[Phrase, ...]
    proposed: tuple[Phrase, ...]
    figures: tuple[KeyFigure, ...]
    before: Figure | None = None
    after: Figure | None = None
    against: str = ""
    rests_on: tuple[Phrase, ...] = ()
    not_promised: tuple[Phrase, ...] = ()
    against_new: bool = False
    customer: str | None = None
    contact: str | None = None
    address: str | None = None
    signed: str | None = None


def report_summary(
    job: Job, answer: Assessment, chosen: OptionAnswer | None, proposed: tuple[Phrase, ...], assumed: tuple[str, ...]
) -> ReportSummary:
    """Page one of a job's report.

    :param chosen: the option that was chosen, if one was. :param proposed: the recommendation, its first two sentences at most are
        told here. :param assumed: what nobody measured.
    """
    options = answer.options
    base = next((one for one in options.options if one.id == options.base), None)
    known = chosen is not None and chosen.stop is None and chosen is not base
    proof = answer.proof
    proved = proof.saved.figure if proof.verdict not in UNPROVED and not options.against_new else None
    promised = known and proved is None
    return ReportSummary(
        found=_found(answer.findings),
        proposed=proposed[:1] if known else proposed[:2],
        figures=_figures(chosen, base, proved, options.against_new) if known and chosen else (),
        before=base.energy.figure if base and promised else None,
        after=chosen.energy.figure if chosen and promised else None,
        against=options.against,
        against_new=options.against_new,
        rests_on=_rests_on(job, assumed),
        not_promised=_not_promised(job, chosen if known else None),
        customer=job.site.customer,
        contact=job.site.contact,
        address=job.site.address,
    )


def _found(findings: tuple[Finding, ...]) -> tuple[Phrase, ...]:
    own = [one for one in findings if not one.standing and one.is_open and one.severity is not Severity.NOTE]
    told = tuple(one.sentence for one in own[:MOST_TOLD])
    more = ((f"And {len(own) - MOST_TOLD} more, on the next page.",),) if len(own) > MOST_TOLD else ()
    return (*told, *more) or ((NOTHING_FOUND,),)


def _figures(
    chosen: OptionAnswer, base: OptionAnswer | None, proved: Figure | None, new: bool
) -> tuple[KeyFigure, ...]:
    """The figures that decide; a proved saving stands in place of all that was promised of it."""
    if proved is not None:
        told: list[tuple[str, Phrase | None]] = [("saved a year, proved", (proved,))]
    else:
        told = [
            ("energy per year, before", _of(base.energy) if base else None),
            ("energy per year, after", _of(chosen.energy)),
            ("saves a year", _of(chosen.saved_energy)),
            ("saves a year, money", _of(chosen.saved_money)),
            ("simple payback" + (", on what it costs more than that" if new else ""), _of(chosen.payback)),
        ]
    told.append(("costs, fitted", (chosen.cost,) if chosen.cost else None))
    return tuple(KeyFigure(label=label, value=value) for label, value in told if value)


def _of(result: Result) -> Phrase | None:
    return (result.figure,) if result.figure else None


def _rests_on(job: Job, assumed: tuple[str, ...]) -> tuple[Phrase, ...]:
    sets = [one for one in job.document.before if not one.is_empty]
    told: list[Phrase] = []
    if sets:
        days = sorted({one.taken_at[:10] for one in sets if one.taken_at})
        when = f", {days[0]}" if len(days) == 1 else f", {days[0]} to {days[-1]}" if days else ""
        told.append((f"Measured on the machine: {len(sets)} set{'s' if len(sets) > 1 else ''} of readings{when}.",))
    else:
        told.append(("Nothing was measured on the running machine: plate and typical motors stand for it.",))
    if assumed:
        told.append(
            (f"Taken as usual, not measured: {', '.join(assumed[:6])}{' and more' if len(assumed) > 6 else ''}.",)
        )
    return tuple(told)


def _not_promised(job: Job, chosen: OptionAnswer | None) -> tuple[Phrase, ...]:
    told: list[Phrase] = [(limit,) for limit in (chosen.limits[:MOST_TOLD] if chosen else ())]
    if job.document.call.is_protected:
        told.append((PROTECTED,))
    if chosen is not None:
        told += [(PRICES,)] if chosen.made_up_heat.figure else [(PRICES,), (HEAT,)]
    return (*told, (BANDS,))
