"""The working behind a duty step: by which formulas its flow, speed, shaft and input power came about, and from what."""

from __future__ import annotations

from dataclasses import dataclass

from modest_rotor.core.estimate import Estimate
from modest_rotor.core.identify.efficiency import TypicalMotor
from modest_rotor.core.options.contract import How, SolvedStep
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.rating import Rating
from modest_rotor.core.phrase import Basis, Frozen
from modest_rotor.core.stations.set_answer import motor_ingredients
from modest_rotor.core.working import Ingredient, Working, given

GENERIC_CURVE = "Generic curve of the kind of wheel: our judgement, no source; moved by the affinity laws, AMCA 201."
GENERIC_LOSSES = "Loss split of IEEE Std 112 reduced to two terms; efficiency and split: our judgement, no source."
ELECTRONIC_LOSSES = "Losses at rating by class IE4 of IEC 60034-30-1 less electronics, or by the data sheet; their split our judgement, no source."
RELUCTANCE_LOSSES = "Motor by class IE4 of IEC 60034-30-1, or by its data sheet; drive by Motor Systems Tip Sheet 11; their split our judgement, no source."
FITTED_MOTOR = (
    "Motor fitted to plate and readings; Fitzgerald, Kingsley and Umans, Electric Machinery, ch. 6 and 9; typical parameters"
    " our judgement, no source."
)
ELECTRONIC_INPUT = "W = P + m e^(b (1 − T ÷ T_N)) (P_c + P_i T ÷ T_N + P_w (T ÷ T_N)² + P_n (n ÷ n_N)^1.4)"
OWN_CURVE = "The product's own table, or else the generic curve of its kind at its best: our judgement, no source."
READ = "As read; the meter's accuracy is common practice."
SPLIT = "W = P + L (f + (1 − f)(P ÷ P_N)²), L = P_N (1 ÷ η − 1)"
AT_SPEED = "P = P_found × the generic power curve at q and n over that at the point found, P ∝ n³"


@dataclass(frozen=True)
class Formulas:
    """The four formulas of a way to solve a step, and the sources of curve and losses."""

    flow: str
    speed: str
    shaft_power: str
    input_power: str
    curve_source: str
    loss_source: str


FORMULAS: dict[How, Formulas] = {
    How.AS_FOUND: Formulas(
        "q as found",
        "n as found",
        "P as found, on Readings",
        f"W as read; without a wattmeter {SPLIT}",
        READ,
        GENERIC_LOSSES,
    ),
    How.THROTTLED: Formulas(
        "q = share × q_found",
        "n taken as unchanged: a damper moves it little",
        AT_SPEED,
        f"W = W_found + the change of {SPLIT.split(' = ', 1)[1]} from P_found to P",
        GENERIC_CURVE,
        GENERIC_LOSSES,
    ),
    How.ON_TAP: Formulas(
        "q as read on the tap; else where the machine's curve at n meets p = p_0 + k q^m",
        "n as read on the tap",
        "P where the machine's curve at n meets the system, P ∝ n³, on one without a fixed part; else as on Readings",
        "W as read on the tap",
        "Affinity laws, AMCA 201.",
        READ,
    ),
    How.SLIP_LINE: Formulas(
        "q where the machine's curve at n meets p = p_0 + k q^m; its share of that where the step is throttled",
        "n = n_s (1 − s_N (T ÷ T_N)(V_N ÷ V)²), T what the wheel asks at n",
        AT_SPEED,
        f"{SPLIT}, η of a new motor",
        GENERIC_CURVE,
        GENERIC_LOSSES,
    ),
    How.AS_TODAY: Formulas(
        "q as on today's tap",
        "n as on today's tap",
        "P as on today's tap",
        "W = W today on that tap × W of the new motor ÷ W_found, both at full flow",
        "Affinity laws, AMCA 201.",
        GENERIC_LOSSES,
    ),
    How.SOLVED: Formulas(
        "q where the machine's curve at n meets p = p_0 + k q^m",
        "n at which the new motor's torque, solved by its fields, equals the wheel's",
        AT_SPEED,
        "W of the new motor at n, V and f: what its windings, iron and rotor take besides P",
        GENERIC_CURVE,
        FITTED_MOTOR,
    ),
    How.SOLVED_THROTTLED: Formulas(
        "q = share × q_found",
        "n = n_found × n of the fitted motor at q ÷ n of it at q_found",
        AT_SPEED,
        "W = W_found × W of the fitted motor at q ÷ W of it at q_found",
        GENERIC_CURVE,
        FITTED_MOTOR,
    ),
    How.SOLVED_TAP: Formulas(
        "q where the machine's curve at n meets p = p_0 + k q^m",
        "n = n_found × n of the fitted motor on the tap ÷ n of it on the high tap",
        AT_SPEED,
        "W = W_found × W of the fitted motor on the tap ÷ W of it on the high tap",
        GENERIC_CURVE,
        FITTED_MOTOR,
    ),
    How.ON_DRIVE: Formulas(
        "q = share × q_found, not below a protected flow",
        "n at which the machine's curve (q ∝ n, p ∝ n²) meets p = p_0 + k q^m; f = n p ÷ (120 (1 − s))",
        AT_SPEED,
        "W = W of the motor at f and V(f), its losses up by 8 %, and the drive's own loss",
        GENERIC_CURVE,
        FITTED_MOTOR,
    ),
    How.COMMANDED: Formulas(
        "q = share × q_found, not below a protected flow",
        "n at which the machine's curve (q ∝ n, p ∝ n²) meets p = p_0 + k q^m",
        AT_SPEED,
        ELECTRONIC_INPUT,
        GENERIC_CURVE,
        ELECTRONIC_LOSSES,
    ),
    How.SYNCHRONOUS: Formulas(
        "q = share × q_found, not below a protected flow",
        "n at which the machine's curve (q ∝ n, p ∝ n²) meets p = p_0 + k q^m; f = n p ÷ 120, without slip",
        AT_SPEED,
        ELECTRONIC_INPUT,
        GENERIC_CURVE,
        RELUCTANCE_LOSSES,
    ),
    How.HELD_TORQUE: Formulas(
        "q where the machine's curve at n meets p = p_0 + k q^m",
        "n at which P ÷ ω is the tap's share of rated torque",
        AT_SPEED,
        ELECTRONIC_INPUT,
        GENERIC_CURVE,
        ELECTRONIC_LOSSES,
    ),
    How.FIXED_SPEED: Formulas(
        "q where the machine's curve at n meets p = p_0 + k q^m; its share where the step is throttled",
        "n as rated: it has one",
        AT_SPEED,
        ELECTRONIC_INPUT,
        GENERIC_CURVE,
        ELECTRONIC_LOSSES,
    ),
    How.OWN_WHEEL: Formulas(
        "q = share × q_found, not below a protected flow",
        "n of its own wheel at which its curve gives q at p_0 + k q^m",
        "P = q p ÷ η of its own wheel at q and n",
        ELECTRONIC_INPUT,
        OWN_CURVE,
        ELECTRONIC_LOSSES,
    ),
    How.HELD_PRESSURE: Formulas(
        "q = share × q_found: the valves of the circuit hold it",
        "n at which its curve gives q at the pressure that it holds",
        "P = q p ÷ η of its own wheel at q and n",
        ELECTRONIC_INPUT,
        OWN_CURVE,
        ELECTRONIC_LOSSES,
    ),
    How.REGULATED: Formulas(
        "q = share × q_found, not below a protected flow",
        "n at which the machine's curve meets p = p_0 + k q^m",
        AT_SPEED,
        "W of the fitted motor on the volts, or behind the ohms, that give P at n; carried to W_found by ratio at full flow",
        GENERIC_CURVE,
        FITTED_MOTOR,
    ),
    How.OTHER_WHEEL_SPEED: Formulas(
        "q where the wheel's curve at its new speed meets p = p_0 + k q^m; its share where the step is throttled",
        "n = n_found × n of the fitted motor on the lighter wheel ÷ n of it today",
        "P = P_found × the generic power curve at q and the wheel's speed, P ∝ n³",
        "W = W_found × W of the fitted motor there ÷ W of it today",
        GENERIC_CURVE,
        FITTED_MOTOR,
    ),
    How.FEWER_FANS: Formulas(
        "q where i of N curves side by side meet p = p_0 + k q^m; told for each of the N",
        "n = n_found × n of the fitted motor with i running ÷ n of it with N",
        "P = P_found × the generic power curve at q and n, × i ÷ N",
        "W = W_found × W of the fitted motor with i running ÷ W of it with N, × i ÷ N",
        GENERIC_CURVE,
        FITTED_MOTOR,
    ),
}


SOLVED = (
    How.SOLVED,
    How.SOLVED_THROTTLED,
    How.SOLVED_TAP,
    How.ON_DRIVE,
    How.REGULATED,
    How.OTHER_WHEEL_SPEED,
    How.FEWER_FANS,
)
"""Ways in which the motor itself was solved."""


class StepWorkings(Frozen):
    """The workings of a solved step."""

    flow: Working
    speed: Working
    shaft_power: Working
    input_power: Working


def step_workings(
    step: SolvedStep,
    share: float,
    found: FoundMachine,
    motor: TypicalMotor | Rating,
    flow_name: str,
    pressure_name: str,
) -> StepWorkings | None:
    """How a step came about; nothing for a step that waits.

    :param step: the solved step.
    :param share: the share of full flow that the step asks for.
    :param motor: the motor whose efficiency it rests on: the old one, or a new one; the rating of an electronic one.
    :param flow_name: the quantity in which flows of this machine are told.
    :param pressure_name: the same for pressures.
    """
    if not (step.flow and step.speed and step.shaft_power and step.input_power):
        return None
    formulas = FORMULAS[step.how]
    q_found = given(
        "q_found",
        "flow as found",
        flow_name,
        found.flow,
        found.flow_basis,
        _set(found),
    )
    n_found = given("n_found", "speed as found", "speed", found.speed, found.speed_basis, _set(found))
    p_found = given("P_found", "shaft power as found", "shaft_power", found.shaft_power, found.shaft_power_basis)
    q, n = (
        given("q", "flow", flow_name, step.flow, "worked-out"),
        given("n", "speed", "speed", step.speed, "worked-out"),
    )
    asked = given("share", "share of full flow asked for", "flow_share", share, "estimated", "Duty")
    system = (
        given(
            "p",
            "pressure as found",
            pressure_name,
            found.pressure,
            "measured" if found.pressure_is_measured else "assumed",
        ),
        given(
            "p_0", "part of it that stays at no flow", pressure_name, found.fixed_pressure, _fixed_basis(found), "Duty"
        ),
        given("m", "exponent of the system", "system_exponent", found.exponent, found.exponent_basis),
    )
    place = given("q ÷ q_best", "place of the point found on the generic curve", "ratio", found.place, "assumed")
    return StepWorkings(
        flow=_working(formulas.flow, (q_found, asked, *system), formulas.curve_source, step.flow),
        speed=_working(
            formulas.speed, (q, n_found, *system, place, *_slip_line(found)), formulas.curve_source, step.speed
        ),
        shaft_power=_working(
            formulas.shaft_power, (p_found, q, n, q_found, n_found, place), formulas.curve_source, step.shaft_power
        ),
        input_power=_working(
            formulas.input_power, _input_ingredients(step, found, motor), formulas.loss_source, step.input_power
        ),
    )


def _input_ingredients(step: SolvedStep, found: FoundMachine, motor: TypicalMotor | Rating) -> tuple[Ingredient, ...]:
    assert step.shaft_power and step.speed
    rated = found.plate.rated_power_w or step.shaft_power.value
    own = (
        given("P", "shaft power", "shaft_power", step.shaft_power, "worked-out"),
        given("P_N", "rated power", "rated_power", rated, "plate", "plate"),
    )
    if step.how in SOLVED:
        return (
            *own,
            given("n", "speed", "speed", step.speed, "worked-out"),
            given(
                "W_found",
                "input power as found",
                "input_power",
                found.input_power,
                found.input_power_basis,
                _set(found),
            ),
        )
    if isinstance(motor, Rating):
        return (
            own[0],
            given("P_N", "rated power", "rated_power", motor.power_w, "plate"),
            given("n", "speed", "speed", step.speed, "worked-out"),
            given("n_N", "rated speed", "rated_speed", motor.speed_rpm, "plate"),
            *_loss_ingredients(motor),
        )
    return (
        given(
            "W_found", "input power as found", "input_power", found.input_power, found.input_power_basis, _set(found)
        ),
        *own,
        *motor_ingredients(motor),
    )


def _loss_ingredients(rating: Rating) -> tuple[Ingredient, ...]:
    """An electronic motor's losses at rating by what they grow with, and how far they may stray."""
    losses = rating.losses
    return (
        given("P_c", "taken by the control", "input_power", losses.control, "assumed"),
        given("P_i", "loss with torque, at rating", "input_power", losses.current, "assumed"),
        given("P_w", "loss with torque squared, at rating", "input_power", losses.copper, "assumed"),
        given("P_n", "loss with speed, at rating", "input_power", losses.speed, "assumed"),
        given("ln m", "losses over these, as a logarithm", "ratio", rating.scatter, "assumed"),
        given("b", "the same far below rated torque", "ratio", rating.below, "assumed"),
    )


def _working(formula: str, ingredients: tuple[Ingredient, ...], source: str, value: Estimate) -> Working:
    return Working(formula=formula, ingredients=ingredients, source=source, shares=value.shares())


def _plate_speed(found: FoundMachine) -> tuple[Ingredient, ...]:
    speed = found.plate.rated_speed_rpm
    if speed is None:  # an electronic motor is then taken as rated for the speed found
        return (given("n_N", "rated speed", "rated_speed", found.speed, "assumed", "speed found"),)
    return (given("n_N", "rated speed", "rated_speed", speed, "plate", "plate"),)


def _slip_line(found: FoundMachine) -> tuple[Ingredient, ...]:
    """What a slip line is drawn from, as far as it is known."""
    plate = found.plate
    volts = found.reference.running.voltage if found.reference else None
    synchronous, rated_volts = plate.synchronous_speed_rpm, plate.rated_voltage_v
    return (
        *_plate_speed(found),
        *((given("n_s", "synchronous speed", "speed", synchronous, "worked-out"),) if synchronous else ()),
        *((given("V_N", "rated volts", "rated_voltage", rated_volts, "plate", "plate"),) if rated_volts else ()),
        *((given("V", "volts", "voltage", volts, "measured", _set(found)),) if volts else ()),
    )


def _set(found: FoundMachine) -> str:
    return found.reference.title if found.reference else ""


def _fixed_basis(found: FoundMachine) -> Basis:
    return "assumed" if found.fixed_is_assumed else "estimated"
