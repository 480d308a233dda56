"""The customer's report: what is told of a job, in the order in which somebody who is no technician asks."""

from __future__ import annotations

from typing import Literal

from modest_rotor.core.assessment import Assessment, Balance, Finding, Severity
from modest_rotor.core.coded import names_of
from modest_rotor.core.job import Job, Station
from modest_rotor.core.options.answers import OptionAnswer, OptionsAnswer
from modest_rotor.core.options.checks.place import Fits
from modest_rotor.core.options.contract import OptionKind
from modest_rotor.core.phrase import Figure, Frozen, KeptBasis, Phrase, as_typed
from modest_rotor.core.quantities import UnitSystem
from modest_rotor.core.report_proof import ReportProof, report_proof
from modest_rotor.core.report_summary import ReportSummary, report_summary
from modest_rotor.core.say import Number, capital, joined, say, tell
from modest_rotor.core.stations.statement import standing
from modest_rotor.core.tables import find_row
from modest_rotor.core.working import Result

SIMULATED = say("core-report-simulated")
NO_CHOICE = say("core-report-no-choice")
MOST_FINDINGS, MOST_CAUTIONS = 8, 6


class Fact(Frozen):
    """A line of the report: what, how much, and on what it stands."""

    label: str
    value: Phrase
    basis: KeptBasis


class OptionLine(Frozen):
    """An option as one column."""

    letter: str
    title: str
    fits: str
    stop: str | None
    flow: Phrase
    watts: Phrase
    energy: Phrase
    saved: Phrase
    money: Phrase
    cost: Phrase
    payback: Phrase
    worth: Phrase
    wrong: str
    soon: Phrase
    chosen: bool


class Worked(Frozen):
    """A working of the appendix."""

    title: str
    result: Result


class YearBar(Frozen):
    """A step of the year for the picture: hours, share of full flow, watts of today and of what was chosen."""

    name: str
    hours: float
    flow_share: float
    today_w: float | None
    then_w: float | None


class Report(Frozen):
    """The whole report; pictures as numbers."""

    formerly = (("uncertainties", "bands"),)

    format: Literal["modest-rotor report"] = "modest-rotor report"
    version: Literal[1] = 1
    title: str
    site: str
    made_for: str | None
    made_by: str | None
    date: str
    revision: str
    program_version: str
    currency: str | None
    units: UnitSystem
    machine: tuple[Fact, ...]
    measured: tuple[Fact, ...]
    found: tuple[Phrase, ...]
    options: tuple[OptionLine, ...]
    recommendation: tuple[Phrase, ...]
    approvals: tuple[str, ...]
    cautions: tuple[Phrase, ...]
    assumed: tuple[str, ...]
    balance: Balance
    balance_step: str
    year: tuple[YearBar, ...]
    workings: tuple[Worked, ...]
    uncertainties: str
    proof: ReportProof | None = None
    summary: ReportSummary | None = None
    stops: tuple[Phrase, ...] = ()


def build_report(job: Job, answer: Assessment, date: str, revision: str, signed: str | None = None) -> Report:
    """The report of a job.

    :param date: the day it is made, as text. :param revision: the revision of the job that it tells.
    :param signed: who signed, where it tells what was signed off.
    """
    options, decision = answer.options.options, job.document.decision
    chosen = next((one for one in options if one.id == decision.chosen), None)
    if chosen is None and decision.chosen == "keep" and options:
        chosen = options[0]
    assumed = (*_assumed(job, options), *(left.sentence for left in answer.left_out))
    recommendation = _recommendation(job, answer.options, chosen)
    summary = report_summary(job, answer, chosen, recommendation, assumed)
    return Report(
        title=job.machine.name,
        site=job.site.name,
        made_for=decision.made_for,
        made_by=decision.made_by,
        date=date,
        revision=revision,
        program_version=answer.program_version,
        currency=answer.currency,
        units=job.site.units,
        machine=_machine(job),
        measured=_measured(job, answer),
        found=_found(answer.findings),
        options=tuple(_line(one, chosen) for one in options),
        recommendation=recommendation,
        approvals=_approvals(job, options),
        cautions=_cautions(answer.findings, chosen),
        assumed=assumed,
        balance=answer.balance,
        balance_step=options[0].steps[0].id if options and options[0].steps else "",
        year=_year(options, chosen),
        workings=_workings(options, chosen),
        uncertainties=SIMULATED,
        proof=report_proof(answer, signed),
        summary=summary.model_copy(update={"signed": signed}),
        stops=answer.setup.stops,
    )


def _machine(job: Job) -> tuple[Fact, ...]:
    plate, machine, call = job.document.nameplate, job.machine, job.document.call
    facts = [
        Fact(label=say("label-machine"), value=(machine.name,), basis="typed"),
        *((Fact(label=say("label-where"), value=(machine.place,), basis="typed"),) if machine.place else ()),
        *((Fact(label=say("core-report-machine-serves"), value=(call.serves,), basis="typed"),) if call.serves else ()),
        *(
            (Fact(label=say("core-report-machine-moves-air"), value=(str(machine.type),), basis="typed"),)
            if machine.type
            else ()
        ),
        *(
            (
                Fact(
                    label=say("core-report-machine-kind-motor"), value=(names_of("answers")[plate.kind],), basis="plate"
                ),
            )
            if plate.kind
            else ()
        ),
    ]
    for label, quantity, entry in (
        (say("core-report-machine-rated-power"), "rated_power", plate.rated_power),
        (say("word-volts"), "rated_voltage", plate.wired_voltage),
        (say("core-report-machine-full-load"), "rated_current", plate.wired_current),
        (say("core-report-machine-rated-speed"), "rated_speed", plate.rated_speed),
    ):
        if entry is not None:
            facts.append(Fact(label=label, value=(as_typed(quantity, entry, "plate"),), basis="plate"))
    machines = job.document.duty.machines
    if machines is not None and machines.si > 1:
        words = say("core-report-machine-readings-steps", machines=Number(machines.si, ".0f"))
        facts.append(Fact(label=say("core-report-machine-machines-alike"), value=(words,), basis="typed"))
    if call.is_protected:
        facts.append(Fact(label=say("core-report-machine-protected-duty"), value=(str(call.protected),), basis="typed"))
    return tuple(facts)


def _measured(job: Job, answer: Assessment) -> tuple[Fact, ...]:
    facts: list[Fact] = []
    found = [pair for pair in zip(job.document.readings, answer.sets, strict=True) if pair[0] in job.document.before]
    for reading, told in found[:3]:
        name = reading.name or say("term-as-found")
        for label, quantity, entry in (
            (say("term-volts"), "voltage", reading.voltage),
            (say("core-report-amps"), "current", reading.current),
            (say("core-report-watts"), "input_power", reading.input_power),
            (say("term-speed"), "speed", reading.speed),
        ):
            if entry is not None:
                facts.append(
                    Fact(
                        label=say("core-report-of-set", name=name, label=label),
                        value=(as_typed(quantity, entry, "measured"),),
                        basis="measured",
                    )
                )
        for label, figure in ((say("term-flow"), told.flow), (say("term-shaft-power"), told.shaft_power.figure)):
            if figure is not None:
                facts.append(
                    Fact(label=say("core-report-of-set", name=name, label=label), value=(figure,), basis=figure.basis)
                )
    return tuple(facts)


def _found(findings: tuple[Finding, ...]) -> tuple[Phrase, ...]:
    own = [one for one in findings if not one.standing and one.is_open]
    return tuple(
        tell("core-report-found", severity=capital(one.severity), one=one.sentence, action=one.action)
        for one in own[:MOST_FINDINGS]
    )


def _line(one: OptionAnswer, chosen: OptionAnswer | None) -> OptionLine:
    step = one.steps[0] if one.steps else None
    return OptionLine(
        letter=one.letter,
        title=one.title,
        fits=str(one.fits),
        stop=one.stop,
        flow=_told(step.flow if step else None),
        watts=_told(step.input_power if step else None),
        energy=_of(one.energy),
        saved=_of(one.saved_energy),
        money=_of(one.saved_money),
        cost=(say("core-report-line"),) if one.kind is OptionKind.KEEP and one.cost is None else _told(one.cost),
        payback=_of(one.payback),
        worth=_of(one.worth),
        wrong=joined(" ", one.limits) or one.wears,
        soon=one.lead_time,
        chosen=chosen is not None and one.id == chosen.id,
    )


def _told(figure: Figure | None) -> Phrase:
    return (figure,) if figure else (say("term-not-known"),)


def _of(result: Result) -> Phrase:
    return (result.figure,) if result.figure else result.waits or (say("term-not-known"),)


def _recommendation(job: Job, options: OptionsAnswer, chosen: OptionAnswer | None) -> tuple[Phrase, ...]:
    decision = job.document.decision
    if chosen is None:
        return ((NO_CHOICE,),)
    told: list[Phrase] = [
        tell(
            "core-report-chosen",
            letter=chosen.letter,
            title=chosen.title,
            why=f" {decision.why}" if decision.why else "",
        )
    ]
    if chosen.stop:
        told.append((say("core-report-recommendation-stopped-nothing", stop=chosen.stop),))
        return tuple(told)
    if chosen.saved_energy.figure:
        told.append(
            tell("core-report-recommendation-expected-save", figure=chosen.saved_energy.figure, against=options.against)
        )
    if chosen.saved_money.figure:
        told.append(tell("core-report-recommendation-money-year", figure=chosen.saved_money.figure))
    if chosen.payback.figure:
        on = say("note-on-what-it-costs-more") if options.against_new else ""
        told.append(tell("core-report-recommendation-pays-itself", figure=chosen.payback.figure, on=on))
    if chosen.made_up_heat.figure and chosen.made_up_heat.figure.value:
        told.append(tell("core-report-recommendation-heat-old", figure=chosen.made_up_heat.figure))
    if chosen.saved_cooling.figure and chosen.saved_cooling.figure.value:
        told.append(tell("core-report-recommendation-cooling-saved", figure=chosen.saved_cooling.figure))
    if chosen.sensitivities and chosen.sensitivities.narrow:
        told.append(tell("core-report-recommendation-what-would", narrow=chosen.sensitivities.narrow))
    if decision.left_open:
        told.append((say("core-report-recommendation-left-open", left_open=decision.left_open),))
    return tuple(told)


def _approvals(job: Job, options: tuple[OptionAnswer, ...]) -> tuple[str, ...]:
    letters = {one.id: one.letter for one in options}
    given = [
        say(
            "core-report-approval",
            of=approval.of,
            who=approval.who or say("core-report-nobody"),
            rest="".join(f", {one}" for one in (approval.role, approval.at) if one),
        )
        for approval in standing(job.document.decision.approvals)
    ]
    waived = [
        say(
            "core-report-approvals-stop-answers",
            check=find_row("fit_checks", check=waiver.check)["question"],
            get=letters.get(waiver.option, say("core-report-approvals-removed-option")),
            who=waiver.who,
            reason=waiver.reason,
        )
        for waiver in standing(job.document.options.waivers)
    ]
    return (*given, *waived)


def _cautions(findings: tuple[Finding, ...], chosen: OptionAnswer | None) -> tuple[Phrase, ...]:
    stops = [one for one in findings if one.severity is Severity.STOP and one.is_open]
    standing = [one for one in findings if one.standing and one.station is Station.OPTIONS]
    told: list[Phrase] = [tell("core-report-cautions-x", severity=capital(one.severity), one=one.sentence, action=one.action) for one in {x.rule: x for x in (*stops, *standing)}.values()]  # fmt: skip
    work = [one for one in chosen.checks if one.fits is Fits.WORK or one.waived_by] if chosen else []
    told += [tell("core-report-cautions-x-2", question=one.question, one=one.sentence) for one in work]
    return tuple(told[: MOST_CAUTIONS + len(work)])


def _assumed(job: Job, options: tuple[OptionAnswer, ...]) -> tuple[str, ...]:
    """What nobody measured, and what was measured in its place or not at all."""
    found: dict[str, None] = {}
    for one in options[:1]:
        for step in one.steps[:1]:
            for working in (step.workings.flow, step.workings.input_power) if step.workings else ():
                for part in working.ingredients:
                    if part.figure.basis == "assumed":
                        found[part.label] = None
    duty = job.document.duty
    for step_ in duty.steps:
        if step_.hours_from is not None and "assumed" in step_.hours_from:
            found[say("core-report-hours-of", step=step_.name)] = None
    if duty.remaining_life is None:
        found[say("core-report-years-left")] = None
    if job.document.options.discount_rate is None:
        found[say("core-report-discount")] = None
    return tuple(found)


def _year(options: tuple[OptionAnswer, ...], chosen: OptionAnswer | None) -> tuple[YearBar, ...]:
    if not options:
        return ()
    then = chosen.steps if chosen and not chosen.stop else options[0].steps
    full = max((step.demand.value for step in options[0].steps if step.demand), default=0.0)
    return tuple(
        YearBar(
            name=step.name or say("term-step"),
            hours=step.hours.value if step.hours else 0.0,
            flow_share=step.demand.value / full if step.demand and full else 0.0,
            today_w=step.input_power.value if step.input_power else None,
            then_w=after.input_power.value if after.input_power else None,
        )
        for step, after in zip(options[0].steps, then, strict=True)
    )


def _workings(options: tuple[OptionAnswer, ...], chosen: OptionAnswer | None) -> tuple[Worked, ...]:
    told: list[Worked] = []
    for one in (*options[:1], *((chosen,) if chosen and chosen is not options[0] else ())):
        for result in (
            one.energy,
            one.saved_energy,
            one.saved_money,
            one.payback,
            one.break_even,
            one.worth,
            one.cube_promise,
        ):
            if result.working is not None:
                told.append(
                    Worked(
                        title=say("core-report-worked", letter=one.letter, title=one.title, label=result.label),
                        result=result,
                    )
                )
    return tuple(told)
