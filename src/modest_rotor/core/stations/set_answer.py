"""What a set of readings comes back as: slip, load three ways, one estimate, pressure, each with its working."""

from __future__ import annotations

from modest_rotor.core.estimate import Estimate
from modest_rotor.core.identify.efficiency import TypicalMotor
from modest_rotor.core.identify.load import LoadByMethod, Method
from modest_rotor.core.identify.motor import MotorKind, PlateFacts
from modest_rotor.core.outcome import Absent, Waiting, Withheld
from modest_rotor.core.phrase import Basis, Figure, Frozen, Phrase, figure
from modest_rotor.core.physics.fan import Wheel, medium_of
from modest_rotor.core.physics.induction import slip
from modest_rotor.core.stations.flow_together import FlowsAnswer, flows_answer
from modest_rotor.core.stations.flow_way import FlowContext, FlowWay, Way
from modest_rotor.core.stations.motor_fit import MotorFit
from modest_rotor.core.stations.set_change import Change, changes
from modest_rotor.core.stations.set_facts import THIS_MOTOR, SetFacts, motor_of
from modest_rotor.core.stations.trust import NOT_RUNNING
from modest_rotor.core.working import Ingredient, Result, given, not_known, result, waiting, withheld

TYPICAL = "typical of the kind"
METHOD_LABELS = {
    Method.FITTED: "All together",
    Method.FITTED_WATTS: "By watts",
    Method.FITTED_SPEED: "By speed",
    Method.FITTED_AMPS: "By volts × amps",
    Method.WATTS: "By watts",
    Method.SLIP: "Plain slip",
    Method.AMPS: "Plain amps",
}
LOAD_SHEET = "US Department of Energy, Motor Challenge fact sheet on motor load and efficiency (from memory)"
SCATTER = "Its range is no narrower than simulated motors scatter about the formula: our own study, so optimistic."
LEAN = "The formula's known lean is taken out and its scatter is the uncertainty: our own study of simulated motors, so optimistic."
FITTED_REMARK = "Its uncertainty comes from the cloud of motors that plate and readings allow: our own study, simulated, so optimistic."
FITTED_SOURCE = (
    "The motor's own equations (Fitzgerald, Kingsley and Umans, Electric Machinery, ch. 6 and 9) with parameters fitted to plate"
    " and readings; typical parameters our judgement, no source."
)
FITTED_METHODS = (Method.FITTED, Method.FITTED_WATTS, Method.FITTED_SPEED, Method.FITTED_AMPS)
FORMULAS = {
    Method.FITTED: "P of the motor that agrees best with the plate and every reading, at n, V and its temperature",
    Method.FITTED_WATTS: "P = W η(n, V), η of the fitted motor",
    Method.FITTED_SPEED: "P(n, V, temperature) of the fitted motor",
    Method.FITTED_AMPS: "P = V I λ η, λ and η of the fitted motor at n and V (× √3 with three phases)",
    Method.WATTS: "the shaft power P whose input P + L (f + (1 − f)(P ÷ P_N)²) is W, with L = P_N (1 ÷ η − 1)",
    Method.SLIP: "load = (n_s − n) ÷ (n_s − n_N) × (V ÷ V_N)²",
    Method.AMPS: "load = I ÷ I_N × V ÷ V_N",
}
SOURCES = {
    **dict.fromkeys(FITTED_METHODS, FITTED_SOURCE),
    Method.WATTS: "Input–output with a two-term loss split (IEEE Std 112, reduced); efficiency: our judgement, no source.",
    Method.SLIP: f"{LOAD_SHEET}, slip method with volts compensation.",
    Method.AMPS: f"{LOAD_SHEET}, line-current method.",
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

    id: str
    number: int
    name: str
    bands: dict[str, float]
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
    ways: tuple[FlowWay, ...],
    fit: MotorFit,
    wanted: Result,
) -> SetAnswer:
    """The set's answer for the reader, with what changed since the set before it.

    :param context: what all sets share of the flow. :param ways: the flow by every way. :param wanted: the flow that is wanted.
    """
    wheel = context.wheel
    return SetAnswer(
        id=facts.id,
        number=facts.number,
        name=facts.name,
        bands=_bands(facts),
        slip=_slip(facts, plate),
        methods=tuple(_method(method, facts, plate) for method in facts.methods),
        load=_load(facts, plate),
        shaft_power=_shaft_power(facts),
        pressure=_pressure(facts, wheel),
        flow=figure(medium_of(wheel).flow, facts.flow, "measured") if facts.flow else None,
        flow_by_power=next(way.worked for way in ways if way.way is Way.POWER),
        flows=flows_answer(facts, ways, context, fit, wanted),
        withheld=tuple((f"{one.field.replace('_', ' ')}: {one.reason}",) for one in facts.withheld),
        questions=_questions(facts, plate),
        changes=changes(before, facts, wheel) if before else (),
    )


def _bands(facts: SetFacts) -> dict[str, float]:
    running = facts.running
    read = {"voltage": running.voltage, "current": running.current, "speed": running.speed}
    read |= {"input_power": running.input_power, "airflow": facts.flow, "water_flow": facts.flow}
    return {field: estimate.band for field, estimate in read.items() if estimate}


def _slip(facts: SetFacts, plate: PlateFacts) -> Result:
    speed, synchronous = facts.running.speed, facts.synchronous_rpm
    if speed is None or synchronous is None:
        lacking = "a speed" if speed is None else "rated speed and frequency on the plate"
        return waiting("Slip now", f"waits for {lacking}")
    if facts.above_synchronous:
        return withheld("Slip now", "withheld: the speed is above synchronous")
    if not facts.on_full_tap:
        return withheld("Slip now", "withheld off the high tap, where slip says nothing of load")
    now = Estimate(slip(speed.value, synchronous), {name: -part / synchronous for name, part in speed.parts.items()})
    ingredients = (
        given("n_s", "synchronous speed", "speed", synchronous, "worked-out"),
        given("n", "speed", "speed", speed, "measured", facts.title),
    )
    return result("Slip now", "slip", now, "s = (n_s − n) ÷ n_s", ingredients, "Definition.")


def _method(method: LoadByMethod, facts: SetFacts, plate: PlateFacts) -> MethodAnswer:
    label = METHOD_LABELS[method.method]
    if method.low is None or method.formula_load is None:
        lacking = f"waits for {' and '.join(method.missing)}"
        load = waiting(label, lacking) if method.missing else withheld(label, method.reason)
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
    shares = method.shaft_power.shares() if method.shaft_power else {}
    three_phase = plate.kind is MotorKind.THREE_PHASE
    remarks = (
        (FITTED_REMARK,)
        if fitted
        else (() if three_phase else (SCATTER,))
        if by_watts
        else (f"The plain formula gives {100 * method.formula_load:.0f} %. {LEAN}",)
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
        return [given(symbol, label, quantity, value, "plate", "plate")] if value is not None else []

    volts = (
        [
            *read("V", "volts", "voltage", running.voltage),
            *printed("V_N", "rated volts", "rated_voltage", plate.rated_voltage_v),
        ]
        if running.voltage and plate.rated_voltage_v
        else []
    )
    if method.method in FITTED_METHODS:
        return _fitted_ingredients(method.method, facts, plate)
    if method.method is Method.SLIP:
        synchronous = plate.synchronous_speed_rpm or 0.0
        return (
            *read("n", "speed", "speed", running.speed),
            given("n_s", "synchronous speed", "speed", synchronous, "worked-out"),
            *printed("n_N", "rated speed", "rated_speed", plate.rated_speed_rpm),
            *volts,
        )
    if method.method is Method.AMPS:
        rated = printed("I_N", "full-load amps", "rated_current", plate.rated_current_a)
        return (*read("I", "line amps", "current", running.current), *rated, *volts)
    motor = motor_of(plate, THIS_MOTOR)
    speed = read("n", "speed", "speed", running.speed) if isinstance(motor, Absent) else []
    return (
        *speed,
        *read("W", "input power", "input_power", running.input_power),
        *printed("P_N", "rated power", "rated_power", plate.rated_power_w),
        *(() if isinstance(motor, Absent) else motor_ingredients(motor)),
    )


def _fitted_ingredients(method: Method, facts: SetFacts, plate: PlateFacts) -> tuple[Ingredient, ...]:
    running = facts.running
    wanted = {
        "n": ("speed", "speed", running.speed),
        "V": ("volts", "voltage", running.voltage),
        "W": ("input power", "input_power", running.input_power if method is not Method.FITTED_AMPS else None),
        "I": ("line amps", "current", running.current if method is not Method.FITTED_WATTS else None),
    }
    if method is Method.FITTED_SPEED:
        del wanted["W"], wanted["I"]
    read = tuple(
        given(symbol, label, quantity, value, "measured", facts.title)
        for symbol, (label, quantity, value) in wanted.items()
        if value
    )
    printed = (
        ("P_N", "rated power", "rated_power", plate.rated_power_w),
        ("n_N", "rated speed", "rated_speed", plate.rated_speed_rpm),
        ("I_N", "full-load amps", "rated_current", plate.rated_current_a),
        ("V_N", "rated volts", "rated_voltage", plate.rated_voltage_v),
        ("C", "run capacitor", "capacitance", plate.run_capacitance_f),
    )
    return (
        *read,
        *(given(symbol, label, name, value, "plate", "plate") for symbol, label, name, value in printed if value),
    )


def motor_ingredients(motor: TypicalMotor) -> tuple[Ingredient, Ingredient]:
    """Efficiency and loss split of a typical motor, as they stand in the working of its watts."""
    eta, fixed = motor.rated_efficiency, motor.fixed_share
    return (
        given("η", "efficiency at rated load", "efficiency", eta, "assumed", _efficiency_origin(motor.bound)),
        given("f", "share of losses that stays at no load", "efficiency", fixed, "assumed", TYPICAL),
    )


def _efficiency_origin(bound: float | None) -> str:
    if bound is None:
        return TYPICAL
    return f"{TYPICAL}, cut off below {100 * bound:.0f} %, the least that the plate's volts × amps allow"


def _load(facts: SetFacts, plate: PlateFacts) -> Result:
    if facts.shaft_power is None:
        return not_known("Load", _no_load(facts))
    if not plate.rated_power_w:
        return waiting("Load", "waits for rated power")
    ingredients = (
        given("P", "shaft power", "shaft_power", facts.shaft_power, "worked-out", facts.title),
        given("P_N", "rated power", "rated_power", plate.rated_power_w, "plate", "plate"),
    )
    return result(
        "Load", "load", facts.shaft_power * (1 / plate.rated_power_w), "load = P ÷ P_N", ingredients, "Definition."
    )


def _shaft_power(facts: SetFacts) -> Result:
    if facts.shaft_power is None or facts.chosen is None:
        return not_known("Shaft power", _no_load(facts))
    basis: Basis = "estimated"
    ingredients = tuple(
        given("P", METHOD_LABELS[method.method].lower(), "shaft_power", method.shaft_power, basis, facts.title)
        for method in facts.methods
        if method.shaft_power
    )
    remarks = [f"{METHOD_LABELS[facts.chosen.method]} is believed here. {facts.chosen.reason}"]
    if facts.disagreeing:
        named = " and ".join(METHOD_LABELS[method.method].lower() for method in facts.disagreeing)
        remarks.append(f"It does not agree with the load {named}, so its uncertainty is widened by half the way there.")
    return result(
        "Shaft power",
        "shaft_power",
        facts.shaft_power,
        _taken_by(facts.chosen.method),
        ingredients,
        "Our own study of simulated motors; choice of method common practice.",
        tuple(remarks),
    )


def _taken_by(method: Method) -> str:
    if method is Method.FITTED:
        return "the fitted motor with every reading, weighed with flow × pressure ÷ efficiency where both were read"
    return "the best single method for this case; methods that share meters are not averaged"


def _no_load(facts: SetFacts) -> Absent:
    if facts.standing is not None:
        return Withheld(f"withheld: {NOT_RUNNING[facts.standing]}")
    if facts.above_synchronous:
        return Withheld("withheld: the speed is above synchronous")
    lacking = [name for method in facts.methods for name in method.missing]
    if not lacking:
        return Withheld(facts.methods[0].reason) if facts.methods else Waiting("waits for a reading")
    return Waiting("waits for watts, or for volts and amps or speed with the plate's own values")


def _pressure(facts: SetFacts, wheel: Wheel | None) -> Result:
    if wheel is Wheel.PUMP:
        label, quantity, formula = "Pump differential", "pump_differential", "discharge less suction"
    else:
        label, quantity, formula = "Total external static", "pressure", "p = supply − return"
    if facts.pressure is None:
        return waiting(label, "waits for the pump differential" if wheel is Wheel.PUMP else "waits for static pressure")
    remarks = (
        ("Read on one side of the fan only: the other side's pressure is missing from it.",) if facts.one_sided else ()
    )
    read = (given("p", label.lower(), quantity, facts.pressure, "measured", facts.title),)
    return result(
        label, quantity, facts.pressure, formula, read, "Definition; ASHRAE Standard 111 for where to read.", remarks
    )


def _questions(facts: SetFacts, plate: PlateFacts) -> tuple[Phrase, ...]:
    if not facts.above_synchronous or facts.running.speed is None or facts.synchronous_rpm is None:
        return ()
    three_phase = plate.kind is MotorKind.THREE_PHASE
    return (
        (
            figure("speed", facts.running.speed, "measured"),
            " is at or above synchronous speed, ",
            figure("speed", facts.synchronous_rpm),
            ". The reading is kept; slip and load are withheld until it is explained.",
        ),
        (
            "Are the hertz at the motor those of the plate"
            + (", or is a drive feeding it more?" if three_phase else "?"),
        ),
        ("Did the tachometer count more than one mark a turn?",),
        ("Was air or water driving the wheel (windmilling)?",),
        ("Is the plate's speed read right, or has the motor another pole count?",),
    )
