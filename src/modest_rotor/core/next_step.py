"""The one thing to do next at each station: what is missing, why it matters, and what it would narrow."""

from __future__ import annotations

from collections.abc import Iterator

from modest_rotor.core.assessment import CheckWay, Finding, Next, StepState
from modest_rotor.core.identify.next_reading import Measurand
from modest_rotor.core.job import Station
from modest_rotor.core.options.checks.place import Fits
from modest_rotor.core.options.contract import NEAR_FULL
from modest_rotor.core.options.found_machine import reference_set
from modest_rotor.core.options.year import cost_of
from modest_rotor.core.outcome import Absent
from modest_rotor.core.phrase import figure
from modest_rotor.core.physics.fan import Wheel, medium_of
from modest_rotor.core.proof.answer import ProofAnswer
from modest_rotor.core.rules.case import Case
from modest_rotor.core.setup.answer import SetupAnswer
from modest_rotor.core.setup.balancing import Outcome
from modest_rotor.core.stations.duty import Wants, step_hours

PLATE_ORDER = (
    ("rated_power", "Rated power off the plate.", "Load and losses are told as shares of it."),
    ("phases", "One phase or three.", "It settles the kind of motor."),
    ("frequency", "Hertz off the plate, or of the supply.", "With the speed it gives the poles."),
    ("rated_speed", "Rated speed off the plate.", "It gives poles, slip and torque."),
    ("rated_voltage", "Rated volts off the plate.", "Load by slip and by amps is corrected with them."),
    ("rated_current", "Full-load amps off the plate.", "They give load by amps, and a floor under the efficiency."),
)

FLOW_FIELDS = {
    None: "flow_share",
    Wants.SHARE: "flow_share",
    Wants.DESIGN: "design_share",
    Wants.FLOW: "airflow",
    Wants.TAP: "tap",
}
FLOW_WORDS = {None: "Share of full flow", Wants.SHARE: "Share of full flow", Wants.DESIGN: "Share of the wanted flow", Wants.FLOW: "The flow", Wants.TAP: "The tap"}  # fmt: skip


def next_steps(
    case: Case, findings: tuple[Finding, ...], ways: tuple[CheckWay, ...], setup: SetupAnswer, proof: ProofAnswer
) -> tuple[Next, ...]:
    """For each station, the first thing missing; nothing for a station that has what it needs."""
    stations = (
        _call(case),
        _plate(case),
        _within_reach(case, _readings(case)),
        _findings(findings, ways),
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
        yield _next(Station.CALL, "call/reason", "Say why we are here.", "A dead motor needs no running readings.")
    if call.protected is None:
        yield _next(
            Station.CALL,
            "call/protected",
            "Ask whether this is a protected duty.",
            "If it is, no lower flow is proposed.",
        )
    if call.is_protected and case.least_flow is None:
        path = f"call/minimum_{medium_of(case.wheel).flow}"
        yield _next(
            Station.CALL,
            path,
            "The documented least flow.",
            "Until it is recorded, nothing below the flow found is proposed.",
        )


def _within_reach(case: Case, steps: Iterator[Next]) -> Iterator[Next]:
    """Steps without readings of which somebody said that they cannot be taken."""
    out = {f"readings/{one.id}/{field}" for one in case.job.document.readings for field in one.out_of_reach}
    return (step for step in steps if step.path not in out)


def _plate(case: Case) -> Iterator[Next]:
    plate = case.job.document.plate
    for field, words, why in PLATE_ORDER:
        if getattr(plate, field) is None:
            yield _next(Station.PLATE, f"plate/{field}", words, why)
    if plate.phases == 1 and plate.run_capacitance is None:
        yield _next(
            Station.PLATE,
            "plate/run_capacitance",
            "Microfarads on the run capacitor, if there is one.",
            "It tells a capacitor motor from other kinds.",
        )


def _readings(case: Case) -> Iterator[Next]:
    if case.wheel is None:
        yield _next(
            Station.READINGS,
            "machine/wheel",
            "What the motor drives.",
            "The kind of wheel settles the shape of its curve.",
        )
    if case.job.document.call.is_dead:
        return
    reference = reference_set(case.sets)
    if reference is None:
        yield _next(
            Station.READINGS,
            None,
            "Add a set of readings on the full setting.",
            "Volts and amps, running, are enough to begin.",
        )
        return
    at = f"readings/{reference.id}"
    running = reference.running
    for field, value, words, why in (
        ("voltage", running.voltage, "Volts at the motor, running.", "They correct load by slip and by amps."),
        ("current", running.current, "Line amps, one conductor in the clamp.", "They give load by amps."),
        ("speed", running.speed, "Speed, with the tachometer.", "It gives slip and load by slip."),
    ):
        if value is None:
            yield _next(Station.READINGS, f"{at}/{field}", words, why)
    if running.input_power is None:
        yield _with_watts(case, at)
    yield from _fan_side(case, at)


def _findings(findings: tuple[Finding, ...], ways: tuple[CheckWay, ...]) -> Iterator[Next]:
    """The next step of a way that was begun, or else the proof of the first finding that has none yet."""
    for way in ways:
        for step in way.steps:
            if step.state is StepState.NEXT:
                yield _next(Station.FINDINGS, step.path, step.question, step.caution)
    for finding in findings:
        if finding.test and not finding.standing and finding.state is None:
            yield _next(Station.FINDINGS, finding.test.path, finding.test.how, finding.test.caution)


def _fan_side(case: Case, at: str) -> Iterator[Next]:
    reference = reference_set(case.sets)
    assert reference is not None
    pump = case.wheel is Wheel.PUMP
    if reference.pressure is None or reference.one_sided:
        read = next(reading for reading in case.job.document.readings if reading.id == reference.id)
        field = "pump_differential" if pump else "return_static" if read.supply_static else "supply_static"
        words = "Pressure across the pump." if pump else "Static pressure on both sides of the fan."
        yield _next(Station.READINGS, f"{at}/{field}", words, "It puts the balance on true axes.")
    if reference.flow is None:
        words = "Water flow, if it can be measured." if pump else "Airflow, if it can be measured."
        yield _next(Station.READINGS, f"{at}/{'water_flow' if pump else 'airflow'}", words, "Money waits for it.")


def _with_watts(case: Case, at: str) -> Next:
    step = _next(
        Station.READINGS,
        f"{at}/input_power",
        "True watts, from a wattmeter.",
        "The best single reading of load; volts × amps is not watts.",
    )
    reference = reference_set(case.sets)
    value = case.fit.worth_of_next(reference.id).get(Measurand.WATTS) if reference else None
    if value is None or value[1].standard >= value[0].standard:
        return step
    now, then = (figure("shaft_power", estimate) for estimate in value)
    return step.model_copy(update={"why": ("Narrows the shaft power.",), "now": now, "then": then})


def _duty(case: Case) -> Iterator[Next]:
    duty = case.job.document.duty
    if not duty.steps:
        yield _next(
            Station.DUTY,
            None,
            "Add a step of the year: its hours and its share of full flow.",
            "Energy waits for hours.",
        )
    for step in duty.steps:
        named, at = step.name or "the step", f"duty/steps/{step.id}"
        if step_hours(step) is None:
            yield _next(Station.DUTY, f"{at}/hours", f"Hours a year of {named}.", "Energy waits for it.")
        if not step.is_told:
            yield _next(Station.DUTY, f"{at}/{FLOW_FIELDS[step.wants]}", f"{FLOW_WORDS[step.wants]} of {named}.", "Energy waits for it.")  # fmt: skip
    part = any(step.flow_share and step.flow_share.si < NEAR_FULL for step in duty.steps)
    if part and duty.part_flow is None:
        yield _next(
            Station.DUTY,
            "duty/part_flow",
            "How part flow is met today.",
            "It decides what the machine of today takes there.",
        )
    if case.wheel is Wheel.PUMP and duty.static_lift is None:
        yield _next(
            Station.DUTY,
            "duty/static_lift",
            "Static lift of the pump.",
            "With lift, slowing the pump saves far less.",
        )
    if duty.energy_price is None:
        yield _next(Station.DUTY, "duty/energy_price", "What a kilowatt-hour costs.", "Money waits for it.")


def _options(case: Case) -> Iterator[Next]:
    if isinstance(case.found, Absent):
        yield _next(
            Station.OPTIONS, None, "Nothing can be compared yet.", case.found.why[:1].upper() + case.found.why[1:] + "."
        )
        return
    for option, considered in zip(case.options.options[1:], case.job.document.options.considered, strict=False):
        asked = next((one for one in option.checks if one.fits is Fits.UNKNOWN and one.path), None)
        if asked:
            told = asked.sentence if isinstance(asked.sentence, tuple) else (asked.sentence,)
            yield Next(
                station=Station.OPTIONS, path=asked.path, sentence=told, why=(f"For {option.letter}: {asked.question}",)
            )
        if cost_of(considered) is None and option.stop is None:
            words = f"What {option.letter}, {option.title}, costs."
            yield _next(Station.OPTIONS, f"options/considered/{considered.id}/price", words, "Payback waits for it.")


def _decision(case: Case) -> Iterator[Next]:
    decision = case.job.document.decision
    if not case.options.options:
        return
    if decision.chosen is None:
        yield _next(Station.DECISION, None, "Choose an option.", "The report says that nothing is chosen yet.")
    elif not decision.why:
        yield _next(Station.DECISION, "decision/why", "Say why.", "The customer reads it first.")


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
    yield Next(station=Station.SETUP, path=path, sentence=(f"Step {step.number}: {step.do}",), why=(step.caution,))


def _proof(proof: ProofAnswer) -> Iterator[Next]:
    if proof.waits and proof.option:
        told = ("Read the machine as it is set now: a set marked “after”.",)
        yield Next(station=Station.PROOF, path=None, sentence=told, why=("Without it nothing is proved.",))
    for step in proof.steps:
        if step.watts.waits:
            yield Next(
                station=Station.PROOF,
                path=None,
                sentence=(f"Read “{step.name}” after: watts at the line, and flow.",),
                why=("Only true watts prove a saving.",),
            )
