"""Page one of the report: what a customer reads in a minute, before anything an engineer asks."""

from __future__ import annotations

from modest_rotor.core.assessment import Assessment, Finding, Severity
from modest_rotor.core.job import Job
from modest_rotor.core.options.answers import OptionAnswer
from modest_rotor.core.phrase import Figure, Frozen, Phrase
from modest_rotor.core.proof.answer import UNPROVED
from modest_rotor.core.say import joined, say
from modest_rotor.core.working import Result

MOST_TOLD = 3
NOTHING_FOUND = say("report-summary-nothing-found")
UNCERTAINTIES = say("report-summary-bands")
PRICES = say("report-summary-prices")
HEAT = say("report-summary-heat")
PROTECTED = say("report-summary-protected")


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
    more = ((say("report-summary-found", most_told=len(own) - MOST_TOLD),),) if len(own) > MOST_TOLD else ()
    return (*told, *more) or ((NOTHING_FOUND,),)


def _figures(
    chosen: OptionAnswer, base: OptionAnswer | None, proved: Figure | None, new: bool
) -> tuple[KeyFigure, ...]:
    """The figures that decide; a proved saving stands in place of all that was promised of it."""
    if proved is not None:
        told: list[tuple[str, Phrase | None]] = [(say("report-summary-figures-saved-year"), (proved,))]
    else:
        told = [
            (say("report-summary-figures-energy-per"), _of(base.energy) if base else None),
            (say("report-summary-figures-energy-per-year"), _of(chosen.energy)),
            (say("report-summary-figures-saves-year"), _of(chosen.saved_energy)),
            (say("report-summary-figures-saves-year-money"), _of(chosen.saved_money)),
            (
                say(
                    "report-summary-figures-simple-payback", what_costs=say("note-on-what-it-costs-more") if new else ""
                ),
                _of(chosen.payback),
            ),
        ]
    told.append((say("report-summary-figures-costs-fitted"), (chosen.cost,) if chosen.cost else None))
    return tuple(KeyFigure(label=label, value=value) for label, value in told if value)


def _of(result: Result) -> Phrase | None:
    return (result.figure,) if result.figure else None


def _rests_on(job: Job, assumed: tuple[str, ...]) -> tuple[Phrase, ...]:
    sets = [one for one in job.document.before if not one.is_empty]
    told: list[Phrase] = []
    if sets:
        days = sorted({one.taken_at[:10] for one in sets if one.taken_at})
        when = (
            f", {days[0]}"
            if len(days) == 1
            else say("report-summary-rests-on-to", days=days[0], days_2=days[-1])
            if days
            else ""
        )
        told.append((say("report-summary-rests-on-measured-machine", sets=len(sets), when=when),))
    else:
        told.append((say("report-summary-rests-on-nothing-measured"),))
    if assumed:
        told.append(
            (
                say(
                    "report-summary-rests-on-taken-usual",
                    assumed=joined(", ", assumed[:6]),
                    more=say("report-summary-rests-on-more") if len(assumed) > 6 else "",
                ),
            )
        )
    return tuple(told)


def _not_promised(job: Job, chosen: OptionAnswer | None) -> tuple[Phrase, ...]:
    told: list[Phrase] = [(limit,) for limit in (chosen.limits[:MOST_TOLD] if chosen else ())]
    if job.document.call.is_protected:
        told.append((PROTECTED,))
    if chosen is not None:
        told += [(PRICES,)] if chosen.made_up_heat.figure else [(PRICES,), (HEAT,)]
    return (*told, (UNCERTAINTIES,))
