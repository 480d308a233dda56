"""The nodes of an assessment, in the order in which one rests on another; what each is handed stands in its declaration."""

from __future__ import annotations

from modest_rotor.core.assessment import Balance, BoardLine, CheckProcedure, Finding, Next, RailEntry, ShortAnswer
from modest_rotor.core.balance import draw_balance
from modest_rotor.core.graph import PARTS, Graph
from modest_rotor.core.identify.meters import Accuracies
from modest_rotor.core.identify.motor import NO_PLATE, PlateFacts
from modest_rotor.core.job import Job
from modest_rotor.core.memo import Keeper
from modest_rotor.core.next_step import next_steps
from modest_rotor.core.options.compare import Compared, OptionsAnswer, compare, repaired_machine
from modest_rotor.core.options.contract import VoltsLaw
from modest_rotor.core.options.found_machine import FoundMachine, find_machine
from modest_rotor.core.options.year import Year
from modest_rotor.core.outcome import Absent, Withheld
from modest_rotor.core.physics.drive import LINEAR, VARIABLE_TORQUE
from modest_rotor.core.physics.fan import MachineType
from modest_rotor.core.proof.answer import ProofAnswer, proof_answer
from modest_rotor.core.rail import draw_rail, tell_on_board, tell_saving
from modest_rotor.core.rules.book import judge, procedures_of
from modest_rotor.core.rules.case import Case
from modest_rotor.core.say import say
from modest_rotor.core.setup.answer import SetupAnswer, setup_answer
from modest_rotor.core.short import short_answer
from modest_rotor.core.stations.charts import amps_chart, blower_table, readable
from modest_rotor.core.stations.duty import assess_duty
from modest_rotor.core.stations.flow_estimate import flow_by_power
from modest_rotor.core.stations.flow_method import FlowByMethod, FlowContext
from modest_rotor.core.stations.flow_methods import flow_methods
from modest_rotor.core.stations.flow_together import with_flow
from modest_rotor.core.stations.motor_fit import MotorFit, MotorReadings, fit_motor_of, motor_readings
from modest_rotor.core.stations.plate_answer import PlateAnswer, assess_plate, plate_facts
from modest_rotor.core.stations.plate_expected import expected_results
from modest_rotor.core.stations.readings import ReadingSet, Stage
from modest_rotor.core.stations.set_answer import SetAnswer, answer_set
from modest_rotor.core.stations.set_facts import THIS_MOTOR, SetFacts, motor_of, set_facts
from modest_rotor.core.stations.target import target_flow
from modest_rotor.core.working import Result

GRAPH = Graph()
OTHER_MOTOR = MotorFit(
    say("core-nodes-other-motor-another-motor"), refusal=Withheld(say("core-nodes-other-motor-motor-fitted"))
)
"""Sets of the machine set up anew say nothing of the motor that was in it: they are read without its plate and its fit."""


@GRAPH.node("machine")
def machine_type(job: Job) -> MachineType | None:
    """What the motor drives."""
    return job.machine.type


@GRAPH.node("meters")
def accuracies(job: Job) -> Accuracies:
    """What the meters at hand are accurate to."""
    return job.document.meters.accuracies


@GRAPH.node("nameplate", "readings")
def plate(job: Job) -> PlateFacts:
    """The numbers of the plate, in the connection that the volts read ask for."""
    return plate_facts(job.document.nameplate_as_fed)


@GRAPH.node("readings")
def of_the_motor(job: Job, plate: PlateFacts, accuracies: Accuracies) -> MotorReadings:
    """What the sets say of the motor that was found."""
    return motor_readings(plate, job.document.before, accuracies)


@GRAPH.node(kept=True)
def fit(plate: PlateFacts, of_the_motor: MotorReadings) -> MotorFit:
    """The motor fitted to plate and readings: the slow part of an assessment."""
    return fit_motor_of(plate, of_the_motor)


@GRAPH.node("readings")
def facts(
    job: Job, plate: PlateFacts, machine_type: MachineType | None, fit: MotorFit, accuracies: Accuracies, keep: Keeper
) -> tuple[SetFacts, ...]:
    """Every set by its meters, those of the machine set up anew as well."""
    return tuple(
        keep(set_facts, one, number, *_motor_in(one, plate, fit, machine_type), accuracies)
        for number, one in enumerate(job.document.readings, 1)
    )


def _motor_in(
    one: ReadingSet, plate: PlateFacts, fit: MotorFit, machine_type: MachineType | None
) -> tuple[PlateFacts, MachineType | None, MotorFit]:
    return (NO_PLATE, machine_type, OTHER_MOTOR) if one.stage is Stage.AFTER else (plate, machine_type, fit)


@GRAPH.node("target")
def wanted(job: Job, machine_type: MachineType | None) -> Result:
    """The flow that is wanted.

    :returns: m³/s with its working. Source: :func:`target_flow`.
    """
    return target_flow(job.document.target, machine_type)


@GRAPH.node("charts", "target", "readings")
def flow_context(
    job: Job, facts: tuple[SetFacts, ...], machine_type: MachineType | None, accuracies: Accuracies
) -> FlowContext:
    """What all sets share of the flow: charts that can be read, the place, and the first set whose flow was measured."""
    charts, before = job.document.charts, {one.id for one in job.document.before}
    return FlowContext(
        machine_type=machine_type,
        charts=charts,
        amps=readable(amps_chart, charts) if charts.amps_chart else None,
        table=readable(blower_table, charts) if charts.blower_table else None,
        target=job.document.target,
        known=next((one for one in facts if one.id in before and one.flow and one.flow.value > 0), None),
        accuracies=accuracies,
    )


@GRAPH.node()
def flows(
    facts: tuple[SetFacts, ...], flow_context: FlowContext, machine_type: MachineType | None, keep: Keeper
) -> tuple[tuple[FlowByMethod, ...], ...]:
    """The flow of each set by every way."""
    return tuple(keep(_flow_by_methods, one, flow_context, machine_type) for one in facts)


def _flow_by_methods(one: SetFacts, context: FlowContext, machine_type: MachineType | None) -> tuple[FlowByMethod, ...]:
    return flow_methods(one, context, flow_by_power(one, machine_type))


@GRAPH.node("readings")
def answered(
    job: Job,
    facts: tuple[SetFacts, ...],
    flows: tuple[tuple[FlowByMethod, ...], ...],
    flow_context: FlowContext,
    plate: PlateFacts,
    fit: MotorFit,
    machine_type: MachineType | None,
    wanted: Result,
    keep: Keeper,
) -> tuple[SetAnswer, ...]:
    """What is told of each set, in the order in which they were read."""
    told = []
    for earlier, read, one, methods in zip((None, *facts), job.document.readings, facts, flows, strict=False):
        its_plate, _, its_fit = _motor_in(read, plate, fit, machine_type)
        told.append(keep(answer_set, one, earlier, its_plate, flow_context, methods, its_fit, wanted))
    return tuple(told)


@GRAPH.node()
def with_flows(
    facts: tuple[SetFacts, ...], flows: tuple[tuple[FlowByMethod, ...], ...], keep: Keeper
) -> tuple[SetFacts, ...]:
    """Every set with the flow that its methods tell together."""
    return tuple(keep(with_flow, one, methods) for one, methods in zip(facts, flows, strict=True))


@GRAPH.node("readings")
def sets(job: Job, with_flows: tuple[SetFacts, ...]) -> tuple[SetFacts, ...]:
    """The sets of the machine as it was found."""
    before = {one.id for one in job.document.before}
    return tuple(one for one in with_flows if one.id in before)


@GRAPH.node("readings")
def after(job: Job, with_flows: tuple[SetFacts, ...]) -> tuple[SetFacts, ...]:
    """The sets of the machine set up anew."""
    then = {one.id for one in job.document.after}
    return tuple(one for one in with_flows if one.id in then)


@GRAPH.node("duty", "call")
def found(
    job: Job, machine_type: MachineType | None, plate: PlateFacts, sets: tuple[SetFacts, ...], fit: MotorFit
) -> FoundMachine | Absent:
    """The machine as found, or what it waits for."""
    duty, call = job.document.duty, job.document.call
    motor = motor_of(plate, THIS_MOTOR)
    return find_machine(
        machine_type, plate, motor, sets, duty.fixed_part(machine_type), call.is_dead, fit, duty.system_exponent
    )


@GRAPH.node("site", "call", "duty", "options")
def year(job: Job, machine_type: MachineType | None, wanted: Result) -> Year:
    """What turns watts into money: steps, price, costs, and what protects the flow."""
    call = job.document.call
    least = call.minimum_flow(machine_type)
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


@GRAPH.node("setup")
def volts_law(job: Job) -> VoltsLaw:
    """How the drive's volts follow its hertz, as set up."""
    typed = job.document.setup.drive
    return VoltsLaw(VARIABLE_TORQUE if typed.shape == "square" else LINEAR, typed.trim.si if typed.trim else 0.0)


@GRAPH.node("readings", "checks")
def capacitance(job: Job) -> float | None:
    """µF of the run capacitor as measured out of circuit, on Findings or with the last set, F. Source: definition."""
    document = job.document
    read = [reading.capacitance for reading in document.before if reading.capacitance]
    entry = document.checks.capacitance or (read[-1] if read else None)
    return entry.si if entry else None


@GRAPH.node()
def measured_volts(sets: tuple[SetFacts, ...]) -> float | None:
    """Volts measured at this machine, V: those of the first set that has them. Source: definition."""
    return next((one.running.voltage.value for one in sets if one.running.voltage), None)


@GRAPH.node()
def workings() -> bool:
    """Whether each step of each option comes with how it came about: long, and asked for one at a time."""
    return True


@GRAPH.node("nameplate")
def compared(
    job: Job, year: Year, capacitance: float | None, measured_volts: float | None, volts_law: VoltsLaw, workings: bool
) -> Compared:
    """What the comparison of the options is given beside the machine."""
    return Compared(job.document.nameplate, year, capacitance, measured_volts, volts_law, workings)


@GRAPH.node()
def right(found: FoundMachine | Absent, compared: Compared, keep: Keeper) -> FoundMachine | Absent:
    """The repaired machine, or what it waits for."""
    return found if isinstance(found, Absent) else repaired_machine(found, compared, keep).machine


@GRAPH.node(kept=True)
def options(found: FoundMachine | Absent, compared: Compared, keep: Keeper) -> OptionsAnswer:
    """The options beside each other."""
    return compare(found, compared, keep)


@GRAPH.node("call", "nameplate", "meters", "charts", "target", "duty", "options", "decision", "setup", kept=True)
def setup(job: Job, options: OptionsAnswer, right: FoundMachine | Absent) -> SetupAnswer:
    """Set-up of what was chosen."""
    return setup_answer(job, options, right)


@GRAPH.node("meters", "readings", "duty", "decision", "setup", "proof", kept=True)
def proof(
    job: Job,
    options: OptionsAnswer,
    right: FoundMachine | Absent,
    year: Year,
    sets: tuple[SetFacts, ...],
    after: tuple[SetFacts, ...],
) -> ProofAnswer:
    """The proof of what was chosen."""
    return proof_answer(job, options, right, year, sets, after)


@GRAPH.node(*PARTS)
def case(
    job: Job,
    plate: PlateFacts,
    fit: MotorFit,
    sets: tuple[SetFacts, ...],
    found: FoundMachine | Absent,
    year: Year,
    options: OptionsAnswer,
    wanted: Result,
    answered: tuple[SetAnswer, ...],
    right: FoundMachine | Absent,
    after: tuple[SetFacts, ...],
) -> Case:
    """The job with its machine solved, as the rules and the summaries are given it."""
    of = {one.id: one for one in answered}
    return Case(
        job=job,
        plate=plate,
        fit=fit,
        sets=sets,
        found=found,
        year=year,
        options=options,
        wanted=wanted,
        answers=tuple(of[one.id] for one in sets),
        right=right,
        after=after,
        after_answers=tuple(of[one.id] for one in after),
    )


@GRAPH.node("site", "nameplate")
def plate_answer(job: Job, plate: PlateFacts, fit: MotorFit, keep: Keeper) -> PlateAnswer:
    """What the plate says, and what a motor of it would show."""
    expected = keep(expected_results, fit)
    return assess_plate(job.document.nameplate, plate, expected, job.site.style_of(job.site.units))


@GRAPH.node()
def findings(case: Case) -> tuple[Finding, ...]:
    """What the rules find."""
    return judge(case)


@GRAPH.node()
def procedures(case: Case) -> tuple[CheckProcedure, ...]:
    """Chains of checks."""
    return procedures_of(case)


@GRAPH.node()
def steps(
    case: Case,
    findings: tuple[Finding, ...],
    procedures: tuple[CheckProcedure, ...],
    setup: SetupAnswer,
    proof: ProofAnswer,
) -> tuple[Next, ...]:
    """What to do next at each station."""
    return next_steps(case, findings, procedures, setup, proof)


@GRAPH.node()
def board(
    case: Case,
    findings: tuple[Finding, ...],
    steps: tuple[Next, ...],
    procedures: tuple[CheckProcedure, ...],
    setup: SetupAnswer,
    proof: ProofAnswer,
) -> BoardLine:
    """The job in a line of the Board."""
    return tell_on_board(case, findings, steps, procedures, setup, proof)


@GRAPH.node()
def rail(
    case: Case,
    findings: tuple[Finding, ...],
    procedures: tuple[CheckProcedure, ...],
    setup: SetupAnswer,
    proof: ProofAnswer,
) -> tuple[RailEntry, ...]:
    """Each station in a few words."""
    return draw_rail(case, findings, procedures, setup, proof)


@GRAPH.node()
def balance(case: Case, keep: Keeper) -> Balance:
    """The machine's curve meeting the system's."""
    return draw_balance(case, keep)


@GRAPH.node()
def short(
    case: Case, findings: tuple[Finding, ...], steps: tuple[Next, ...], board: BoardLine, proof: ProofAnswer
) -> ShortAnswer:
    """The job on one page."""
    return short_answer(case, findings, steps, board, tell_saving(case, proof))
