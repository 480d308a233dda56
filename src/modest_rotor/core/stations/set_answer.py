"""What a set of readings comes back as: slip, load by three methods, one estimate, pressure, each with its working."""

from __future__ import annotations

from modest_rotor.core.estimate import Estimate
from modest_rotor.core.identify.efficiency import TypicalMotor
from modest_rotor.core.identify.load import LoadByMethod, Method
from modest_rotor.core.identify.motor import MotorKind, PlateFacts
from modest_rotor.core.outcome import Absent, Waiting, Withheld
from modest_rotor.core.phrase import Basis, Figure, Frozen, Phrase, figure
from modest_rotor.core.physics.fan import MachineType, medium_of
from modest_rotor.core.physics.induction import slip
from modest_rotor.core.say import Number, listed, say, small, tell
from modest_rotor.core.stations.flow_method import FlowByMethod, FlowContext, FlowMethod
from modest_rotor.core.stations.flow_together import FlowsAnswer, flows_answer
from modest_rotor.core.stations.motor_fit import MotorFit
from modest_rotor.core.stations.readings import title_of
from modest_rotor.core.stations.set_change import Change, changes
from modest_rotor.core.stations.set_facts import THIS_MOTOR, SetFacts, motor_of
from modest_rotor.core.stations.trust import NOT_RUNNING, Disbelieved
from modest_rotor.core.working import Ingredient, Result, given, not_known, result, told_shares, waiting, withheld

TYPICAL = say("set-answer-typical")
METHOD_LABELS = {
    Method.FITTED: say("set-answer-method-labels-all-together"),
    Method.FITTED_WATTS: say("set-answer-method-labels-watts"),
    Method.FITTED_SPEED: say("set-answer-method-labels-speed"),
    Method.FITTED_AMPS: say("set-answer-method-labels-volts-amps"),
    Method.WATTS: say("set-answer-method-labels-watts"),
    Method.SLIP: say("set-answer-method-labels-plain-slip"),
    Method.AMPS: say("set-answer-method-labels-plain-amps"),
}
LOAD_SHEET = say("set-answer-load-sheet")
SCATTER = say("set-answer-scatter")
LEAN = say("set-answer-lean")
FITTED_REMARK = say("set-answer-fitted-remark")
FITTED_SOURCE = say("set-answer-fitted-source")
FITTED_METHODS = (Method.FITTED, Method.FITTED_WATTS, Method.FITTED_SPEED, Method.FITTED_AMPS)
FORMULAS = {
    Method.FITTED: say("set-answer-formulas-p-motor"),
    Method.FITTED_WATTS: say("set-answer-formulas-p-w"),
    Method.FITTED_SPEED: say("set-answer-formulas-p-n"),
    Method.FITTED_AMPS: say("set-answer-formulas-p-v"),
    Method.WATTS: say("set-answer-formulas-shaft-power"),
    Method.SLIP: say("set-answer-formulas-load-n"),
    Method.AMPS: say("set-answer-formulas-load-i"),
}
SOURCES = {
    **dict.fromkeys(FITTED_METHODS, FITTED_SOURCE),
    Method.WATTS: say("set-answer-sources-input-output"),
    Method.SLIP: say("set-answer-sources-slip-method", load_sheet=LOAD_SHEET),
    Method.AMPS: say("set-answer-sources-line-current", load_sheet=LOAD_SHEET),
}


class MethodAnswer(Frozen):
    """The load by one method, and why it is or is not trusted here."""

    method: Method
    load: Result
    trusted: bool
    chosen: bool
    disagrees: bool
    reason: str


class SetAnswer(Frozen):
    """What one set of readings says."""

    formerly = (("uncertainties", "bands"),)

    id: str
    number: int
    name: str
    uncertainties: dict[str, float]
    slip: Result
    methods: tuple[MethodAnswer, ...]
    load: Result
    shaft_power: Result
    pressure: Result
    flow: Figure | None
    flow_by_power: Result
    flows: FlowsAnswer
    withheld: tuple[Phrase, ...]
    questions: tuple[Phrase, ...]
    changes: tuple[Change, ...]


def answer_set(
    facts: SetFacts,
    before: SetFacts | None,
    plate: PlateFacts,
    context: FlowContext,
    methods: tuple[FlowByMethod, ...],
    fit: MotorFit,
    wanted: Result,
) -> SetAnswer:
    """The set's answer for the reader, with what changed since the set before it.

    :param context: what all sets share of the flow. :param methods: the flow by every method. :param wanted: the flow that is wanted.
    """
    machine_type = context.machine_type
    return SetAnswer(
        id=facts.id,
        number=facts.number,
        name=facts.name,
        uncertainties=_uncertainties(facts),
        slip=_slip(facts, plate),
        methods=tuple(_method(method, facts, plate) for method in facts.methods),
        load=_load(facts, plate),
        shaft_power=_shaft_power(facts),
        pressure=_pressure(facts, machine_type),
        flow=figure(medium_of(machine_type).flow, facts.flow, "measured") if facts.flow else None,
        flow_by_power=next(method.worked for method in methods if method.method is FlowMethod.POWER),
        flows=flows_answer(facts, methods, context, fit, wanted),
        withheld=tuple(_disbelieved(one) for one in facts.withheld),
        questions=_questions(facts, plate),
        changes=changes(before, facts, machine_type) if before else (),
    )


def _disbelieved(one: Disbelieved) -> Phrase:
    return (say("set-answer-disbelieved", field=title_of(one.field), reason=one.reason),)


def _uncertainties(facts: SetFacts) -> dict[str, float]:
    running = facts.running
    read = {"voltage": running.voltage, "current": running.current, "speed": running.speed}
    read |= {"input_power": running.input_power, "airflow": facts.flow, "water_flow": facts.flow}
    return {field: estimate.uncertainty for field, estimate in read.items() if estimate}


def _slip(facts: SetFacts, plate: PlateFacts) -> Result:
    speed, synchronous = facts.running.speed, facts.synchronous_rpm
    if speed is None or synchronous is None:
        lacking = say("set-answer-slip-speed") if speed is None else say("set-answer-slip-rated-speed")
        return waiting(say("set-answer-slip-slip-now"), tell("set-answer-slip-waits", lacking=lacking))
    if facts.above_synchronous:
        return withheld(say("set-answer-slip-slip-now"), tell("term-withheld-the-speed-is-above"))
    if not facts.on_full_tap:
        return withheld(say("set-answer-slip-slip-now"), tell("set-answer-slip-withheld-off"))
    now = Estimate(
        slip(speed.value, synchronous),
        {name: -contribution / synchronous for name, contribution in speed.contributions.items()},
    )
    ingredients = (
        given("n_s", say("term-synchronous-speed"), "speed", synchronous, "worked-out"),
        given("n", say("term-speed"), "speed", speed, "measured", facts.title),
    )
    return result(
        say("set-answer-slip-slip-now"), "slip", now, "s = (n_s − n) ÷ n_s", ingredients, say("word-definition")
    )


def _method(method: LoadByMethod, facts: SetFacts, plate: PlateFacts) -> MethodAnswer:
    label = METHOD_LABELS[method.method]
    if method.low is None or method.formula_load is None:
        lacking = say("set-answer-method", missing=listed(method.missing))
        load = waiting(label, (lacking,)) if method.missing else withheld(label, (method.reason,))
    else:
        load = _method_result(method, label, facts, plate)
    return MethodAnswer(
        method=method.method,
        load=load,
        trusted=method.trusted,
        chosen=method is facts.chosen,
        disagrees=method in facts.disagreeing,
        reason=method.reason,
    )


def _method_result(method: LoadByMethod, label: str, facts: SetFacts, plate: PlateFacts) -> Result:
    assert method.formula_load is not None
    by_watts, fitted = method.method is Method.WATTS, method.method in FITTED_METHODS
    corrected = method.shaft_power and plate.rated_power_w
    value = method.shaft_power.value / plate.rated_power_w if corrected else method.formula_load  # type: ignore[union-attr, operator]
    shares = told_shares(method.shaft_power) if method.shaft_power else {}
    three_phase = plate.kind is MotorKind.THREE_PHASE
    remarks = (
        (FITTED_REMARK,)
        if fitted
        else (() if three_phase else (SCATTER,))
        if by_watts
        else (say("set-answer-method-result", formula_load=Number(100 * method.formula_load, ".0f"), lean=LEAN),)
    )
    worked = result(
        label,
        "load",
        value,
        FORMULAS[method.method],
        _ingredients(method, facts, plate),
        SOURCES[method.method],
        remarks,
    )
    assert worked.figure and worked.working
    return worked.model_copy(
        update={
            "figure": worked.figure.model_copy(update={"low": method.low, "high": method.high}),
            "working": worked.working.model_copy(update={"shares": shares}),
        }
    )


def _ingredients(method: LoadByMethod, facts: SetFacts, plate: PlateFacts) -> tuple[Ingredient, ...]:
    running = facts.running

    def read(symbol: str, label: str, quantity: str, value: Estimate | None) -> list[Ingredient]:
        return [given(symbol, label, quantity, value, "measured", facts.title)] if value else []

    def printed(symbol: str, label: str, quantity: str, value: float | None) -> list[Ingredient]:
        return [given(symbol, label, quantity, value, "plate", say("origin-plate"))] if value is not None else []

    volts = (
        [
            *read("V", say("term-volts"), "voltage", running.voltage),
            *printed("V_N", say("term-rated-volts"), "rated_voltage", plate.rated_voltage_v),
        ]
        if running.voltage and plate.rated_voltage_v
        else []
    )
    if method.method in FITTED_METHODS:
        return _fitted_ingredients(method.method, facts, plate)
    if method.method is Method.SLIP:
        synchronous = plate.synchronous_speed_rpm or 0.0
        return (
            *read("n", say("term-speed"), "speed", running.speed),
            given("n_s", say("term-synchronous-speed"), "speed", synchronous, "worked-out"),
            *printed("n_N", say("term-rated-speed"), "rated_speed", plate.rated_speed_rpm),
            *volts,
        )
    if method.method is Method.AMPS:
        rated = printed("I_N", say("term-full-load-amps"), "rated_current", plate.rated_current_a)
        return (*read("I", say("term-line-amps"), "current", running.current), *rated, *volts)
    motor = motor_of(plate, THIS_MOTOR)
    speed = read("n", say("term-speed"), "speed", running.speed) if isinstance(motor, Absent) else []
    return (
        *speed,
        *read("W", say("term-input-power"), "input_power", running.input_power),
        *printed("P_N", say("term-rated-power"), "rated_power", plate.rated_power_w),
        *(() if isinstance(motor, Absent) else motor_ingredients(motor)),
    )


def _fitted_ingredients(method: Method, facts: SetFacts, plate: PlateFacts) -> tuple[Ingredient, ...]:
    running = facts.running
    watts = running.input_power if method is not Method.FITTED_AMPS else None
    amps = running.current if method is not Method.FITTED_WATTS else None
    wanted = {
        "n": (say("term-speed"), "speed", running.speed),
        "V": (say("term-volts"), "voltage", running.voltage),
        "W": (say("term-input-power"), "input_power", watts),
        "I": (say("term-line-amps"), "current", amps),
    }
    if method is Method.FITTED_SPEED:
        del wanted["W"], wanted["I"]
    read = tuple(
        given(symbol, label, quantity, value, "measured", facts.title)
        for symbol, (label, quantity, value) in wanted.items()
        if value
    )
    printed = (
        ("P_N", say("term-rated-power"), "rated_power", plate.rated_power_w),
        ("n_N", say("term-rated-speed"), "rated_speed", plate.rated_speed_rpm),
        ("I_N", say("term-full-load-amps"), "rated_current", plate.rated_current_a),
        ("V_N", say("term-rated-volts"), "rated_voltage", plate.rated_voltage_v),
        ("C", say("term-run-capacitor"), "capacitance", plate.run_capacitance_f),
    )
    return (
        *read,
        *(
            given(symbol, label, name, value, "plate", say("origin-plate"))
            for symbol, label, name, value in printed
            if value
        ),
    )


def motor_ingredients(motor: TypicalMotor) -> tuple[Ingredient, Ingredient]:
    """Efficiency and loss split of a typical motor, as they stand in the working of its watts."""
    eta, fixed = motor.rated_efficiency, motor.fixed_share
    return (
        given(
            "η",
            say("set-answer-motor-ingredients-efficiency-rated"),
            "efficiency",
            eta,
            "assumed",
            _efficiency_origin(motor.bound),
        ),
        given("f", say("set-answer-motor-ingredients-share-losses"), "efficiency", fixed, "assumed", TYPICAL),
    )


def _efficiency_origin(bound: float | None) -> str:
    if bound is None:
        return TYPICAL
    return say("set-answer-efficiency-origin", typical=TYPICAL, bound=Number(100 * bound, ".0f"))


def _load(facts: SetFacts, plate: PlateFacts) -> Result:
    if facts.shaft_power is None:
        return not_known(say("label-load"), _no_load(facts))
    if not plate.rated_power_w:
        return waiting(say("label-load"), tell("set-answer-load-waits-rated"))
    ingredients = (
        given("P", say("term-shaft-power"), "shaft_power", facts.shaft_power, "worked-out", facts.title),
        given("P_N", say("term-rated-power"), "rated_power", plate.rated_power_w, "plate", say("origin-plate")),
    )
    return result(
        say("label-load"),
        "load",
        facts.shaft_power * (1 / plate.rated_power_w),
        say("set-answer-load-load-p"),
        ingredients,
        say("word-definition"),
    )


def _shaft_power(facts: SetFacts) -> Result:
    if facts.shaft_power is None or facts.chosen is None:
        return not_known(say("label-shaft-power"), _no_load(facts))
    basis: Basis = "estimated"
    ingredients = tuple(
        given("P", small(METHOD_LABELS[method.method]), "shaft_power", method.shaft_power, basis, facts.title)
        for method in facts.methods
        if method.shaft_power
    )
    remarks = [
        say(
            "set-answer-shaft-power-believed-here",
            method_labels=METHOD_LABELS[facts.chosen.method],
            reason=facts.chosen.reason,
        )
    ]
    if facts.disagreeing:
        named = listed(small(METHOD_LABELS[method.method]) for method in facts.disagreeing)
        remarks.append(say("set-answer-shaft-power-does-agree", named=named))
    return result(
        say("label-shaft-power"),
        "shaft_power",
        facts.shaft_power,
        _taken_by(facts.chosen.method),
        ingredients,
        say("set-answer-shaft-power-our-own"),
        tuple(remarks),
    )


def _taken_by(method: Method) -> str:
    if method is Method.FITTED:
        return say("set-answer-taken-by-fitted-motor")
    return say("set-answer-taken-by-best-single")


def _no_load(facts: SetFacts) -> Absent:
    if facts.standing is not None:
        return Withheld(say("set-answer-no-load-withheld", not_running=NOT_RUNNING[facts.standing]))
    if facts.above_synchronous:
        return Withheld(say("term-withheld-the-speed-is-above"))
    lacking = [name for method in facts.methods for name in method.missing]
    if not lacking:
        return Withheld(facts.methods[0].reason) if facts.methods else Waiting(say("set-answer-no-load-waits-reading"))
    return Waiting(say("set-answer-no-load-waits-watts"))


def _pressure(facts: SetFacts, machine_type: MachineType | None) -> Result:
    if machine_type is MachineType.PUMP:
        label, quantity, formula = (
            say("label-pump-differential"),
            "pump_differential",
            say("term-discharge-less-suction"),
        )
        waits = say("set-answer-pressure-waits-pump")
    else:
        label, quantity, formula = say("label-total-external-static"), "pressure", say("set-answer-pressure-p-supply")
        waits = say("set-answer-pressure-waits-static")
    if facts.pressure is None:
        return waiting(label, (waits,))
    remarks = (say("set-answer-pressure-read-one"),) if facts.one_sided else ()
    read = (given("p", small(label), quantity, facts.pressure, "measured", facts.title),)
    return result(label, quantity, facts.pressure, formula, read, say("set-answer-pressure-definition-ashrae"), remarks)


def _questions(facts: SetFacts, plate: PlateFacts) -> tuple[Phrase, ...]:
    if not facts.above_synchronous or facts.running.speed is None or facts.synchronous_rpm is None:
        return ()
    three_phase = plate.kind is MotorKind.THREE_PHASE
    return (
        tell(
            "set-answer-questions-above-synchronous",
            speed=figure("speed", facts.running.speed, "measured"),
            speed_2=figure("speed", facts.synchronous_rpm),
        ),
        (say("set-answer-questions-hertz-motor", three_phase=three_phase),),
        (say("set-answer-questions-did-tachometer"),),
        (say("set-answer-questions-air-water"),),
        (say("set-answer-questions-plate-s"),),
    )
