"""The one thing to do next at each station: what is missing, why it matters, and what it would narrow."""

from __future__ import annotations

from collections.abc import Iterator

from modest_rotor.core.assessment import CheckProcedure, Finding, Next, StepState
from modest_rotor.core.identify.next_reading import Measurand
from modest_rotor.core.job import Station
from modest_rotor.core.options.checks.place import Fits
from modest_rotor.core.options.contract import NEAR_FULL
from modest_rotor.core.options.found_machine import reference_set
from modest_rotor.core.options.year import cost_of
from modest_rotor.core.outcome import Absent
from modest_rotor.core.phrase import figure
from modest_rotor.core.physics.fan import MachineType, medium_of
from modest_rotor.core.proof.answer import ProofAnswer
from modest_rotor.core.rules.case import Case
from modest_rotor.core.say import capital, say
from modest_rotor.core.setup.answer import SetupAnswer
from modest_rotor.core.setup.balancing import Outcome
from modest_rotor.core.stations.duty import Wants, step_hours

PLATE_ORDER = (
    ("rated_power", say("next-step-plate-order-rated-power"), say("next-step-plate-order-load-losses")),
    ("phases", say("next-step-plate-order-one-phase"), say("next-step-plate-order-settles-kind")),
    ("frequency", say("next-step-plate-order-hertz-off"), say("next-step-plate-order-speed-gives")),
    ("rated_speed", say("next-step-plate-order-rated-speed"), say("next-step-plate-order-gives-poles")),
    ("rated_voltage", say("next-step-plate-order-rated-volts"), say("next-step-plate-order-load-slip")),
    ("rated_current", say("next-step-plate-order-full-load"), say("next-step-plate-order-they-give")),
)

FLOW_FIELDS = {
    None: "flow_share",
    Wants.SHARE: "flow_share",
    Wants.DESIGN: "design_share",
    Wants.FLOW: "airflow",
    Wants.TAP: "tap",
}
FLOW_WORDS = {None: say("next-step-flow-words-share-full"), Wants.SHARE: say("next-step-flow-words-share-full"), Wants.DESIGN: say("next-step-flow-words-share-wanted"), Wants.FLOW: say("next-step-flow-words-flow"), Wants.TAP: say("next-step-flow-words-tap")}  # fmt: skip


def next_steps(
    case: Case,
    findings: tuple[Finding, ...],
    procedures: tuple[CheckProcedure, ...],
    setup: SetupAnswer,
    proof: ProofAnswer,
) -> tuple[Next, ...]:
    """For each station, the first thing missing; nothing for a station that has what it needs."""
    stations = (
        _call(case),
        _plate(case),
        _within_reach(case, _readings(case)),
        _findings(findings, procedures),
        _duty(case),
        _options(case),
        _decision(case),
        _setup(setup),
        _proof(proof),
    )
    return tuple(first for found in stations if (first := next(found, None)))


def _next(station: Station, path: str | None, words: str, why: str) -> Next:
    return Next(station=station, path=path, sentence=(words,), why=(why,))


def _call(case: Case) -> Iterator[Next]:
    call = case.job.document.call
    if call.reason is None:
        yield _next(Station.CALL, "call/reason", say("next-step-call-say-why"), say("next-step-call-dead-motor"))
    if call.protected is None:
        yield _next(Station.CALL, "call/protected", say("next-step-call-ask-whether"), say("next-step-call-if-lower"))
    if call.is_protected and case.least_flow is None:
        path = f"call/minimum_{medium_of(case.machine_type).flow}"
        yield _next(Station.CALL, path, say("next-step-call-documented-least"), say("next-step-call-until-recorded"))


def _within_reach(case: Case, steps: Iterator[Next]) -> Iterator[Next]:
    """Steps without readings of which somebody said that they cannot be taken."""
    out = {f"readings/{one.id}/{field}" for one in case.job.document.readings for field in one.out_of_reach}
    return (step for step in steps if step.path not in out)


def _plate(case: Case) -> Iterator[Next]:
    plate = case.job.document.nameplate
    for field, words, why in PLATE_ORDER:
        if getattr(plate, field) is None:
            yield _next(Station.PLATE, f"nameplate/{field}", words, why)
    if plate.phases == 1 and plate.run_capacitance is None:
        yield _next(
            Station.PLATE,
            "nameplate/run_capacitance",
            say("next-step-plate-microfarads-run"),
            say("next-step-plate-tells-capacitor"),
        )


def _readings(case: Case) -> Iterator[Next]:
    if case.machine_type is None:
        yield _next(
            Station.READINGS,
            "machine/type",
            say("next-step-readings-what-motor"),
            say("next-step-readings-kind-wheel"),
        )
    if case.job.document.call.is_dead:
        return
    reference = reference_set(case.sets)
    if reference is None:
        yield _next(Station.READINGS, None, say("next-step-readings-add-set"), say("next-step-readings-volts-amps"))
        return
    at = f"readings/{reference.id}"
    running = reference.running
    for field, value, words, why in (
        ("voltage", running.voltage, say("next-step-readings-volts-motor"), say("next-step-readings-they-correct")),
        ("current", running.current, say("next-step-readings-line-amps"), say("next-step-readings-they-give")),
        ("speed", running.speed, say("next-step-readings-speed-tachometer"), say("next-step-readings-gives-slip")),
    ):
        if value is None:
            yield _next(Station.READINGS, f"{at}/{field}", words, why)
    if running.input_power is None:
        yield _with_watts(case, at)
    yield from _fan_side(case, at)


def _findings(findings: tuple[Finding, ...], procedures: tuple[CheckProcedure, ...]) -> Iterator[Next]:
    """The next step of a procedure that was begun, or else the proof of the first finding that has none yet."""
    for procedure in procedures:
        for step in procedure.steps:
            if step.state is StepState.NEXT:
                yield _next(Station.FINDINGS, step.path, step.question, step.caution)
    for finding in findings:
        if finding.test and not finding.standing and finding.state is None:
            yield _next(Station.FINDINGS, finding.test.path, finding.test.how, finding.test.caution)


def _fan_side(case: Case, at: str) -> Iterator[Next]:
    reference = reference_set(case.sets)
    assert reference is not None
    pump = case.machine_type is MachineType.PUMP
    if reference.pressure is None or reference.one_sided:
        read = next(reading for reading in case.job.document.readings if reading.id == reference.id)
        field = "pump_differential" if pump else "return_static" if read.supply_static else "supply_static"
        words = say("next-step-fan-side-pressure-across") if pump else say("next-step-fan-side-static-pressure")
        yield _next(Station.READINGS, f"{at}/{field}", words, say("next-step-fan-side-puts-balance"))
    if reference.flow is None:
        words = say("next-step-fan-side-water-flow") if pump else say("next-step-fan-side-airflow-if")
        yield _next(
            Station.READINGS, f"{at}/{'water_flow' if pump else 'airflow'}", words, say("label-money-waits-for-it")
        )


def _with_watts(case: Case, at: str) -> Next:
    step = _next(
        Station.READINGS,
        f"{at}/input_power",
        say("next-step-with-watts-true-watts"),
        say("next-step-with-watts-best-single"),
    )
    reference = reference_set(case.sets)
    value = case.fit.worth_of_next(reference.id).get(Measurand.WATTS) if reference else None
    if value is None or value[1].standard >= value[0].standard:
        return step
    now, then = (figure("shaft_power", estimate) for estimate in value)
    return step.model_copy(update={"why": (say("next-step-with-watts-narrows-shaft"),), "now": now, "then": then})


def _duty(case: Case) -> Iterator[Next]:
    duty = case.job.document.duty
    if not duty.steps:
        yield _next(Station.DUTY, None, say("next-step-duty-add-step"), say("next-step-duty-energy-waits"))
    for step in duty.steps:
        named, at = step.name or say("next-step-duty-step"), f"duty/steps/{step.id}"
        if step_hours(step) is None:
            yield _next(
                Station.DUTY,
                f"{at}/hours",
                say("next-step-duty-hours-year", named=named),
                say("next-step-duty-energy-waits-2"),
            )
        if not step.is_told:
            yield _next(Station.DUTY, f"{at}/{FLOW_FIELDS[step.wants]}", say("next-step-duty-of", flow_words=FLOW_WORDS[step.wants], named=named), say("next-step-duty-energy-waits-2"))  # fmt: skip
    part = any(step.flow_share and step.flow_share.si < NEAR_FULL for step in duty.steps)
    if part and duty.part_flow is None:
        yield _next(Station.DUTY, "duty/part_flow", say("next-step-duty-how-part"), say("next-step-duty-decides-what"))
    if case.machine_type is MachineType.PUMP and duty.static_lift is None:
        yield _next(
            Station.DUTY, "duty/static_lift", say("next-step-duty-static-lift"), say("next-step-duty-lift-slowing")
        )
    if duty.energy_price is None:
        yield _next(
            Station.DUTY, "duty/energy_price", say("next-step-duty-what-kilowatt"), say("label-money-waits-for-it")
        )


def _options(case: Case) -> Iterator[Next]:
    if isinstance(case.found, Absent):
        yield _next(
            Station.OPTIONS,
            None,
            say("next-step-options-nothing-can"),
            say("next-step-because", why=capital(case.found.why)),
        )
        return
    for option, candidate in zip(case.options.options[1:], case.job.document.options.candidates, strict=False):
        asked = next((one for one in option.checks if one.fits is Fits.UNKNOWN and one.path), None)
        if asked:
            told = asked.sentence if isinstance(asked.sentence, tuple) else (asked.sentence,)
            yield Next(
                station=Station.OPTIONS,
                path=asked.path,
                sentence=told,
                why=(say("next-step-options-for", letter=option.letter, question=asked.question),),
            )
        if cost_of(candidate) is None and option.stop is None:
            words = say("next-step-options-what-costs", letter=option.letter, option=option.title)
            yield _next(
                Station.OPTIONS,
                f"options/candidates/{candidate.id}/price",
                words,
                say("next-step-options-payback-waits"),
            )


def _decision(case: Case) -> Iterator[Next]:
    decision = case.job.document.decision
    if not case.options.options:
        return
    if decision.chosen is None:
        yield _next(
            Station.DECISION, None, say("next-step-decision-choose-option"), say("next-step-decision-report-says")
        )
    elif not decision.why:
        yield _next(
            Station.DECISION,
            "decision/why",
            say("next-step-decision-say-why"),
            say("next-step-decision-customer-reads"),
        )


def _setup(setup: SetupAnswer) -> Iterator[Next]:
    """The first step that is open, and on the step of commands the next setting; where nothing is asked, its line is the place."""
    step = next((one for one in setup.steps if one.is_open), None)
    if setup.waits or step is None:
        return
    path = step.fields[0] if step.fields else f"setup/steps/{step.step}"
    if step.step == "commands":
        going = next(
            (
                one.advice
                for one in setup.commands
                if one.advice and one.advice.outcome in (Outcome.BEGIN, Outcome.AGAIN)
            ),
            None,
        )
        if going:
            yield Next(station=Station.SETUP, path=path, sentence=going.sentence, why=(step.caution,))
    yield Next(
        station=Station.SETUP,
        path=path,
        sentence=(say("next-step-setup-step", number=step.number, do=step.do),),
        why=(step.caution,),
    )


def _proof(proof: ProofAnswer) -> Iterator[Next]:
    if proof.waits and proof.option:
        told = (say("next-step-proof-read-machine"),)
        yield Next(station=Station.PROOF, path=None, sentence=told, why=(say("next-step-proof-without-nothing"),))
    for step in proof.steps:
        if step.watts.waits:
            yield Next(
                station=Station.PROOF,
                path=None,
                sentence=(say("next-step-proof-read-after", step=step.name),),
                why=(say("next-step-proof-only-true"),),
            )
