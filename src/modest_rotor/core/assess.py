"""The one door: ``assess(job)`` gives every number that follows from what was said."""

from __future__ import annotations

from collections.abc import Callable, Hashable
from dataclasses import dataclass, replace

from modest_rotor import __version__
from modest_rotor.core.assessment import Assessment
from modest_rotor.core.balance import draw_balance, draw_curves
from modest_rotor.core.identify.motor import NO_PLATE, PlateFacts
from modest_rotor.core.job import Job
from modest_rotor.core.memo import Memo, WithinOne
from modest_rotor.core.next_step import next_steps
from modest_rotor.core.options.answers import LoadedAnswer
from modest_rotor.core.options.baseline import baseline
from modest_rotor.core.options.beside import BesideAnswer
from modest_rotor.core.options.compare import Compared, compare, compare_beside, compare_loaded, machine_put_right
from modest_rotor.core.options.contract import VoltsLaw
from modest_rotor.core.options.found_machine import FoundMachine, find_machine
from modest_rotor.core.options.ladder import Ladder, build_ladder
from modest_rotor.core.options.needles import NeedleTable, needle_table
from modest_rotor.core.options.year import Year
from modest_rotor.core.outcome import Absent, Withheld
from modest_rotor.core.physics.drive import LINEAR, VARIABLE_TORQUE
from modest_rotor.core.proof.answer import ProofAnswer, proof_answer
from modest_rotor.core.rail import draw_rail, tell_on_board, tell_saving
from modest_rotor.core.rules.book import judge, ways_of
from modest_rotor.core.rules.case import Case
from modest_rotor.core.setup.answer import SetupAnswer, setup_answer
from modest_rotor.core.short import short_answer
from modest_rotor.core.stations.charts import (
    amps_chart,
    amps_chart_state,
    blower_table,
    blower_table_state,
    readable,
)
from modest_rotor.core.stations.duty import assess_duty
from modest_rotor.core.stations.flow_estimate import flow_by_power
from modest_rotor.core.stations.flow_together import with_flow
from modest_rotor.core.stations.flow_way import FlowContext
from modest_rotor.core.stations.flow_ways import flow_ways
from modest_rotor.core.stations.identity import identify
from modest_rotor.core.stations.motor_fit import MotorFit, fit_key, fit_plate_and_readings
from modest_rotor.core.stations.plate_answer import assess_plate, plate_facts
from modest_rotor.core.stations.plate_expected import expected_results
from modest_rotor.core.stations.reading_round import reading_round
from modest_rotor.core.stations.set_answer import SetAnswer, answer_set
from modest_rotor.core.stations.set_facts import THIS_MOTOR, SetFacts, motor_of, set_facts
from modest_rotor.core.stations.target import target_flow
from modest_rotor.core.withheld import sound_part
from modest_rotor.core.working import Result

OTHER_MOTOR = MotorFit("another motor", refusal=Withheld("the motor that was fitted is not the one of the plate"))


def fit_job(job: Job) -> MotorFit:
    """The motor fitted to a job's plate and readings: the slow part of an assessment, worth keeping under its key."""
    document = job.document
    return fit_plate_and_readings(plate_facts(document.plate_as_fed), document.before, document.meters.accuracies)


def job_fit_key(job: Job) -> str:
    """The name of the fit that belongs to a job."""
    document = job.document
    return fit_key(plate_facts(document.plate_as_fed), document.before, document.meters.accuracies)


def assess(
    job: Job,
    fit: MotorFit | None = None,
    memo: Memo | None = None,
    newest: str | None = None,
    on_fault: Callable[[Exception], None] | None = None,
    meanwhile: Job | None = None,
    workings: bool = True,
) -> Assessment:
    """Everything that follows from a job.

    :param job: what the technician said; any part may be missing.
    :param fit: the motor as fitted before, by :func:`fit_job`; it is fitted anew when none is given. One that was made for
        an earlier plate or earlier readings still draws a picture, which says that it is being refined.
    :param memo: where results of unchanged parts are kept between two assessments; nothing is, where none is given.
    :param newest: the path that was edited last, suspected first where nothing can be worked out.
    :param on_fault: told of what was raised for the whole job, where something was.
    :param meanwhile: the job as it was before: its options, set-up and proof are shown until they are worked out anew, and the
        assessment says that it is being refined.
    :param workings: whether each step of each option comes with how it came about: long, and asked for one at a time.
    :returns: results with their workings and bands; what is missing is named in place of a result. Never refuses a
        valid job: contradictions come back as findings, and what cannot be worked with at all is left out and named.
    """
    memo = WithinOne() if memo is None else memo
    try:
        return _assess(job, fit, memo, meanwhile, workings)
    except Exception as error:  # a fault of ours as well: one value must not take the whole job away
        if on_fault is not None:
            on_fault(error)
        sound = sound_part(job, error, lambda tried: _works(tried, memo), newest)
        return _assess(sound.job, None, memo, None, workings).model_copy(update={"left_out": sound.left_out})


def _works(job: Job, memo: Memo) -> bool:
    try:
        _assess(job, None, memo)
    except Exception:
        return False
    return True


def _assess(
    job: Job, fit: MotorFit | None, memo: Memo, meanwhile: Job | None = None, workings: bool = False
) -> Assessment:
    case = build_case(job, fit, memo, meanwhile, workings)
    sets = tuple(answer for _, answer in sorted(case.all_answered, key=lambda pair: pair[0].number))
    expected = memo.kept(("expected", case.fit.key), lambda: expected_results(case.fit))
    findings = judge(case)
    ways = ways_of(case)
    setup = _setup(case, memo)
    proof = _proof(case, setup, memo)
    steps = next_steps(case, findings, ways, setup, proof)
    board = tell_on_board(case, findings, steps, ways, setup, proof)
    return Assessment(
        program_version=__version__,
        currency=job.currency,
        plate=assess_plate(job.document.plate, case.plate, expected, job.site.style_of(job.site.units)),
        identity=identify(job.document.identification, job.document.leads, job.document.plate.phases),
        sets=sets,
        round=reading_round(case.wheel, case.plate),
        wanted_flow=case.wanted,
        amps_chart=amps_chart_state(job.document.charts),
        blower_table=blower_table_state(job.document.charts),
        duty=case.year.answer,
        options=case.options,
        balance=draw_balance(case, draw_curves(case, memo)),
        setup=setup,
        proof=proof,
        findings=findings,
        ways=ways,
        rail=draw_rail(case, findings, ways, setup, proof),
        next=steps,
        board=board,
        short=short_answer(case, findings, steps, board, tell_saving(case, proof)),
        refining=case.fit.refining or meanwhile is not None,
    )


def _setup(case: Case, memo: Memo) -> SetupAnswer:
    document = case.job.document
    told = "\n".join(
        part.model_dump_json() for part in (document.setup, document.decision, document.charts, document.target)
    )
    key = ("setup", case.rests_on, told, document.meters.accuracies)
    return memo.kept(key, lambda: setup_answer(case.job, case.options, case.right))


def _proof(case: Case, setup: SetupAnswer, memo: Memo) -> ProofAnswer:
    document = case.job.document
    told = "\n".join(
        part.model_dump_json() for part in (document.proof, document.decision, document.setup, *document.readings)
    )
    key = ("proof", case.rests_on, told, document.meters.accuracies, setup.stops)
    return memo.kept(key, lambda: proof_answer(case.job, case.options, case.right, case.year, case.sets, case.after))


def needles(job: Job, fit: MotorFit | None = None) -> NeedleTable:
    """What every meter would show if one thing changed on the machine as found; arguments as :func:`assess`."""
    return needle_table(build_case(job, fit).found)


def ladder(job: Job, fit: MotorFit | None = None) -> Ladder:
    """What explains the last set of readings, the likeliest cause first; arguments as :func:`assess`."""
    case = build_case(job, fit)
    plate, target = job.document.plate, job.document.target
    wanted = case.wanted.figure.value if case.wanted.figure else None
    static = target.rated_static.si if target.rated_static else None
    found = baseline(case.plate, plate.holds, case.wheel, case.sets, case.fit, wanted, static)
    return build_ladder(found, case.wheel)


def loaded(job: Job, fit: MotorFit | None = None, memo: Memo | None = None) -> tuple[LoadedAnswer, ...]:
    """What each option moves and takes as the filter loads, its setting left as it is; arguments as :func:`assess`."""
    case = build_case(job, fit, memo)
    return compare_loaded(case.found, case.compared)


def beside(job: Job, asked: tuple[str, ...], fit: MotorFit | None = None, memo: Memo | None = None) -> BesideAnswer:
    """Options of a job side by side, by their ids; the others are held against the first. Arguments as :func:`assess`."""
    case = build_case(job, fit, memo)
    return compare_beside(case.found, case.compared, asked)


def build_case(
    job: Job,
    fit: MotorFit | None = None,
    memo: Memo | None = None,
    meanwhile: Job | None = None,
    workings: bool = False,
) -> Case:
    """The job with its machine solved, ready for rules and summaries; arguments as :func:`assess`."""
    memo = WithinOne() if memo is None else memo
    earlier = build_case(meanwhile, fit, memo) if meanwhile is not None else None
    fit = _for_this(job, fit) if fit else fit_job(job)
    document, wheel = job.document, job.machine.wheel
    plate = plate_facts(document.plate_as_fed)
    seen = _see_sets(job, plate, fit, memo)
    found = find_machine(
        wheel,
        plate,
        motor_of(plate, THIS_MOTOR),
        seen.sets,
        document.duty.fixed_part(wheel),
        document.call.is_dead,
        fit,
        document.duty.system_exponent,
    )
    year = _year(job, seen.wanted)
    machine_rests_on = _machine_rests_on(job, plate, fit, seen, found, year)
    told = "\n".join(part.model_dump_json() for part in (document.duty, document.options, document.call))
    rests_on: Hashable = (
        machine_rests_on, told, job.currency, year.wanted_flow_m3s, document.checks, document.plate, _law(job),
    )  # fmt: skip
    given = Compared(
        document.plate, year, _capacitance(job), _measured_volts(seen.sets), memo, machine_rests_on, _law(job), workings
    )
    if earlier is not None:
        options, right, rests_on = earlier.options, earlier.right, earlier.rests_on
    else:
        options = memo.kept(("options", rests_on, workings), lambda: compare(found, given))
        right = found if isinstance(found, Absent) else machine_put_right(found, given).machine
    return Case(
        job=job,
        plate=plate,
        fit=fit,
        sets=seen.sets,
        found=found,
        year=year,
        options=options,
        rests_on=rests_on,
        machine_rests_on=machine_rests_on,
        compared=given,
        wanted=seen.wanted,
        answers=seen.answers,
        right=right,
        after=seen.after,
        after_answers=seen.after_answers,
    )


def _machine_rests_on(
    job: Job, plate: PlateFacts, fit: MotorFit, seen: _Seen, found: FoundMachine | Absent, year: Year
) -> Hashable:
    """By value, everything that the machine as found rests on."""
    document, wheel = job.document, job.machine.wheel
    return (
        repr(plate),
        wheel,
        fit.key,
        seen.keys_of(found.telling_sets if isinstance(found, FoundMachine) else seen.sets),
        document.duty.fixed_part(wheel),
        repr(found.exponent) if isinstance(found, FoundMachine) else None,
        document.call.is_dead,
        year.least_flow_m3s,
        year.protected,
    )


@dataclass(frozen=True)
class _Seen:
    """The sets of a job, read and answered; ``keys`` says what each rests on. ``after`` are those of the machine set up anew."""

    sets: tuple[SetFacts, ...]
    keys: tuple[Hashable, ...]
    answers: tuple[SetAnswer, ...]
    wanted: Result
    after: tuple[SetFacts, ...] = ()
    after_answers: tuple[SetAnswer, ...] = ()

    def keys_of(self, some: tuple[SetFacts, ...]) -> tuple[Hashable, ...]:
        """What some of the sets rest on."""
        chosen = {facts.id for facts in some}
        return tuple(key for facts, key in zip(self.sets, self.keys, strict=True) if facts.id in chosen)


def _see_sets(job: Job, plate: PlateFacts, fit: MotorFit, memo: Memo) -> _Seen:
    """Every set by its meters, with the flow by every way; only what changed is worked out anew.

    Sets of the machine set up anew say nothing of the motor that was in it: they are read without its plate and its fit.
    """
    document, wheel, meters = job.document, job.machine.wheel, job.document.meters.accuracies
    after_ids = {reading.id for reading in document.after}
    # As text, whose hash and comparison cost next to nothing.
    common = f"{plate!r} {wheel} {fit.key} {meters}"
    keys: tuple[Hashable, ...] = tuple(
        (reading.model_dump_json(), number, common) for number, reading in enumerate(document.readings, 1)
    )
    of_motor = tuple((NO_PLATE, OTHER_MOTOR) if one.id in after_ids else (plate, fit) for one in document.readings)
    sets = tuple(
        memo.kept(("set", key), lambda reading=reading, n=n, of=of: set_facts(reading, n, of[0], wheel, of[1], meters))  # type: ignore[misc]
        for n, (reading, key, of) in enumerate(zip(document.readings, keys, of_motor, strict=True), 1)
    )
    before = tuple(facts for facts in sets if facts.id not in after_ids)
    wanted, context = target_flow(document.target, wheel), flow_context(job, before)
    known = next((key for facts, key in zip(sets, keys, strict=True) if facts is context.known), None)
    shared = (document.charts.model_dump_json(), document.target.model_dump_json(), known)
    ways = tuple(
        memo.kept(
            ("ways", key, shared),
            lambda facts=facts: flow_ways(facts, context, flow_by_power(facts, wheel)),  # type: ignore[misc]
        )
        for facts, key in zip(sets, keys, strict=True)
    )
    earlier = (None, *keys)
    answers = tuple(
        memo.kept(
            ("answer", key, earlier[i], shared),
            lambda i=i: answer_set(  # type: ignore[misc]
                sets[i], sets[i - 1] if i else None, of_motor[i][0], context, ways[i], of_motor[i][1], wanted
            ),
        )
        for i, key in enumerate(keys)
    )
    seen = tuple((with_flow(facts, found), (key, shared)) for facts, found, key in zip(sets, ways, keys, strict=True))
    found = tuple(pair for pair in seen if pair[0].id not in after_ids)
    of = dict(zip((facts.id for facts in sets), answers, strict=True))
    return _Seen(
        sets=tuple(facts for facts, _ in found),
        keys=tuple(key for _, key in found),
        answers=tuple(of[facts.id] for facts, _ in found),
        wanted=wanted,
        after=tuple(facts for facts, _ in seen if facts.id in after_ids),
        after_answers=tuple(of[facts.id] for facts, _ in seen if facts.id in after_ids),
    )


def flow_context(job: Job, sets: tuple[SetFacts, ...]) -> FlowContext:
    """What all sets share of the flow: charts that can be read, the place, and the first set whose flow was measured."""
    document = job.document
    return FlowContext(
        wheel=job.machine.wheel,
        charts=document.charts,
        amps=readable(amps_chart, document.charts) if document.charts.amps_chart else None,
        table=readable(blower_table, document.charts) if document.charts.blower_table else None,
        target=document.target,
        known=next((facts for facts in sets if facts.flow and facts.flow.value > 0), None),
        accuracies=document.meters.accuracies,
    )


def _for_this(job: Job, fit: MotorFit) -> MotorFit:
    """The fit as it is, or marked as one for earlier facts."""
    return fit if fit.key == job_fit_key(job) else replace(fit, refining=True)


def _law(job: Job) -> VoltsLaw:
    """How the drive's volts follow its hertz, as set up."""
    typed = job.document.setup.drive
    return VoltsLaw(VARIABLE_TORQUE if typed.shape == "square" else LINEAR, typed.trim.si if typed.trim else 0.0)


def _capacitance(job: Job) -> float | None:
    """µF of the run capacitor as measured out of circuit, on Findings or with the last set, F."""
    document = job.document
    read = [reading.capacitance for reading in document.before if reading.capacitance]
    entry = document.checks.capacitance or (read[-1] if read else None)
    return entry.si if entry else None


def _measured_volts(sets: tuple[SetFacts, ...]) -> float | None:
    """Volts measured at this machine: those of the first set that has them."""
    volts = [facts.running.voltage.value for facts in sets if facts.running.voltage]
    return volts[0] if volts else None


def _year(job: Job, wanted: Result) -> Year:
    call = job.document.call
    least = call.minimum_flow(job.machine.wheel)
    return Year(
        duty=job.document.duty,
        answer=assess_duty(job.document.duty),
        costs=job.document.options,
        currency=job.currency,
        least_flow_m3s=least.si if least else None,
        protected=call.is_protected,
        dead=call.is_dead,
        wanted_flow_m3s=wanted.figure.value if wanted.figure else None,
    )
