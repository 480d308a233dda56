"""The working behind a duty step: by which formulas its flow, speed, shaft and input power came about, and from what."""

from __future__ import annotations

from dataclasses import dataclass

from modest_rotor.core.estimate import Estimate
from modest_rotor.core.identify.efficiency import TypicalMotor
from modest_rotor.core.options.contract import How, SolvedStep
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.rating import Rating
from modest_rotor.core.phrase import Basis, Frozen
from modest_rotor.core.say import say
from modest_rotor.core.stations.set_answer import motor_ingredients
from modest_rotor.core.working import Ingredient, Working, given, told_shares

GENERIC_CURVE = say("step-working-generic-curve")
GENERIC_LOSSES = say("step-working-generic-losses")
ELECTRONIC_LOSSES = say("step-working-electronic-losses")
RELUCTANCE_LOSSES = say("step-working-reluctance-losses")
FITTED_MOTOR = say("step-working-fitted-motor")
ELECTRONIC_INPUT = "W = P + m e^(b (1 − T ÷ T_N)) (P_c + P_i T ÷ T_N + P_w (T ÷ T_N)² + P_n (n ÷ n_N)^1.4)"
OWN_CURVE = say("step-working-own-curve")
READ = say("step-working-read")
SPLIT = "W = P + L (f + (1 − f)(P ÷ P_N)²), L = P_N (1 ÷ η − 1)"
AT_SPEED = say("step-working-at-speed")


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
        say("step-working-formulas-q-found"),
        say("step-working-formulas-n-found"),
        say("step-working-formulas-p-found"),
        say("step-working-formulas-w-read", split=SPLIT),
        READ,
        GENERIC_LOSSES,
    ),
    How.THROTTLED: Formulas(
        say("step-working-formulas-q-share"),
        say("step-working-formulas-n-taken"),
        AT_SPEED,
        say("step-working-formulas-w-w", split=SPLIT.split(" = ", 1)[1]),
        GENERIC_CURVE,
        GENERIC_LOSSES,
    ),
    How.ON_TAP: Formulas(
        say("step-working-formulas-q-read"),
        say("step-working-formulas-n-read"),
        say("step-working-formulas-p-where"),
        say("step-working-formulas-w-read-tap"),
        say("step-working-formulas-affinity-laws"),
        READ,
    ),
    How.SLIP_LINE: Formulas(
        say("step-working-formulas-q-where"),
        say("step-working-formulas-n-n"),
        AT_SPEED,
        say("step-working-formulas-new-motor", split=SPLIT),
        GENERIC_CURVE,
        GENERIC_LOSSES,
    ),
    How.AS_TODAY: Formulas(
        say("step-working-formulas-q-today"),
        say("step-working-formulas-n-today"),
        say("step-working-formulas-p-today"),
        say("step-working-formulas-w-w-today"),
        say("step-working-formulas-affinity-laws"),
        GENERIC_LOSSES,
    ),
    How.SOLVED: Formulas(
        say("step-working-formulas-q-where-machine"),
        say("step-working-formulas-n-new"),
        AT_SPEED,
        say("step-working-formulas-w-new"),
        GENERIC_CURVE,
        FITTED_MOTOR,
    ),
    How.SOLVED_THROTTLED: Formulas(
        say("step-working-formulas-q-share"),
        say("step-working-formulas-n-n-found"),
        AT_SPEED,
        say("step-working-formulas-w-w-found"),
        GENERIC_CURVE,
        FITTED_MOTOR,
    ),
    How.SOLVED_TAP: Formulas(
        say("step-working-formulas-q-where-machine"),
        say("step-working-formulas-n-n-found-n"),
        AT_SPEED,
        say("step-working-formulas-w-w-found-w"),
        GENERIC_CURVE,
        FITTED_MOTOR,
    ),
    How.ON_DRIVE: Formulas(
        say("step-working-formulas-q-share-q"),
        say("step-working-formulas-n-machine"),
        AT_SPEED,
        say("step-working-formulas-w-w-motor"),
        GENERIC_CURVE,
        FITTED_MOTOR,
    ),
    How.COMMANDED: Formulas(
        say("step-working-formulas-q-share-q"),
        say("step-working-formulas-n-machine-s"),
        AT_SPEED,
        ELECTRONIC_INPUT,
        GENERIC_CURVE,
        ELECTRONIC_LOSSES,
    ),
    How.SYNCHRONOUS: Formulas(
        say("step-working-formulas-q-share-q"),
        say("step-working-formulas-n-machine-s-curve"),
        AT_SPEED,
        ELECTRONIC_INPUT,
        GENERIC_CURVE,
        RELUCTANCE_LOSSES,
    ),
    How.HELD_TORQUE: Formulas(
        say("step-working-formulas-q-where-machine"),
        say("step-working-formulas-n-p"),
        AT_SPEED,
        ELECTRONIC_INPUT,
        GENERIC_CURVE,
        ELECTRONIC_LOSSES,
    ),
    How.FIXED_SPEED: Formulas(
        say("step-working-formulas-q-where-machine-s"),
        say("step-working-formulas-n-rated"),
        AT_SPEED,
        ELECTRONIC_INPUT,
        GENERIC_CURVE,
        ELECTRONIC_LOSSES,
    ),
    How.OWN_WHEEL: Formulas(
        say("step-working-formulas-q-share-q"),
        say("step-working-formulas-n-own"),
        say("step-working-formulas-p-q"),
        ELECTRONIC_INPUT,
        OWN_CURVE,
        ELECTRONIC_LOSSES,
    ),
    How.HELD_PRESSURE: Formulas(
        say("step-working-formulas-q-share-q-found"),
        say("step-working-formulas-n-curve"),
        say("step-working-formulas-p-q"),
        ELECTRONIC_INPUT,
        OWN_CURVE,
        ELECTRONIC_LOSSES,
    ),
    How.REGULATED: Formulas(
        say("step-working-formulas-q-share-q"),
        say("step-working-formulas-n-machine-s-curve-meets"),
        AT_SPEED,
        say("step-working-formulas-w-fitted"),
        GENERIC_CURVE,
        FITTED_MOTOR,
    ),
    How.OTHER_WHEEL_SPEED: Formulas(
        say("step-working-formulas-q-where-wheel"),
        say("step-working-formulas-n-n-found-n-fitted"),
        say("step-working-formulas-p-p"),
        say("step-working-formulas-w-w-found-w-fitted"),
        GENERIC_CURVE,
        FITTED_MOTOR,
    ),
    How.FEWER_FANS: Formulas(
        say("step-working-formulas-q-where-i"),
        say("step-working-formulas-n-n-found-n-fitted-motor"),
        say("step-working-formulas-p-p-found"),
        say("step-working-formulas-w-w-found-w-fitted-motor"),
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
        "q_found", say("step-working-step-workings-flow-found"), flow_name, found.flow, found.flow_basis, _set(found)
    )
    n_found = given(
        "n_found", say("step-working-step-workings-speed-found"), "speed", found.speed, found.speed_basis, _set(found)
    )
    p_found = given(
        "P_found",
        say("step-working-step-workings-shaft-power"),
        "shaft_power",
        found.shaft_power,
        found.shaft_power_basis,
    )
    q, n = (
        given("q", say("term-flow"), flow_name, step.flow, "worked-out"),
        given("n", say("term-speed"), "speed", step.speed, "worked-out"),
    )
    asked = given(
        "share", say("step-working-step-workings-share-full"), "flow_share", share, "estimated", say("word-duty")
    )
    system = _system(found, pressure_name)
    place = given("q ÷ q_best", say("step-working-step-workings-place-point"), "ratio", found.place, "assumed")
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


def _system(found: FoundMachine, pressure_name: str) -> tuple[Ingredient, ...]:
    return (
        given(
            "p",
            say("step-working-step-workings-pressure-found"),
            pressure_name,
            found.pressure,
            "measured" if found.pressure_is_measured else "assumed",
        ),
        given(
            "p_0",
            say("step-working-step-workings-part-stays"),
            pressure_name,
            found.fixed_pressure,
            _fixed_basis(found),
            say("word-duty"),
        ),
        given("m", say("term-exponent-of-the-system"), "system_exponent", found.exponent, found.exponent_basis),
    )


def _input_ingredients(step: SolvedStep, found: FoundMachine, motor: TypicalMotor | Rating) -> tuple[Ingredient, ...]:
    assert step.shaft_power and step.speed
    rated = found.plate.rated_power_w or step.shaft_power.value
    own = (
        given("P", say("term-shaft-power"), "shaft_power", step.shaft_power, "worked-out"),
        given("P_N", say("term-rated-power"), "rated_power", rated, "plate", say("origin-plate")),
    )
    if step.how in SOLVED:
        return (
            *own,
            given("n", say("term-speed"), "speed", step.speed, "worked-out"),
            given(
                "W_found",
                say("step-working-input-ingredients-input-power"),
                "input_power",
                found.input_power,
                found.input_power_basis,
                _set(found),
            ),
        )
    if isinstance(motor, Rating):
        return (
            own[0],
            given("P_N", say("term-rated-power"), "rated_power", motor.power_w, "plate"),
            given("n", say("term-speed"), "speed", step.speed, "worked-out"),
            given("n_N", say("term-rated-speed"), "rated_speed", motor.speed_rpm, "plate"),
            *_loss_ingredients(motor),
        )
    return (
        given(
            "W_found",
            say("step-working-input-ingredients-input-power"),
            "input_power",
            found.input_power,
            found.input_power_basis,
            _set(found),
        ),
        *own,
        *motor_ingredients(motor),
    )


def _loss_ingredients(rating: Rating) -> tuple[Ingredient, ...]:
    """An electronic motor's losses at rating by what they grow with, and how far they may stray."""
    losses = rating.losses
    return (
        given("P_c", say("step-working-loss-ingredients-taken-control"), "input_power", losses.control, "assumed"),
        given("P_i", say("step-working-loss-ingredients-loss-torque"), "input_power", losses.current, "assumed"),
        given("P_w", say("step-working-loss-ingredients-loss-torque-squared"), "input_power", losses.copper, "assumed"),
        given("P_n", say("step-working-loss-ingredients-loss-speed"), "input_power", losses.speed, "assumed"),
        given(
            say("step-working-loss-ingredients-ln-m"),
            say("step-working-loss-ingredients-losses-over"),
            "ratio",
            rating.scatter,
            "assumed",
        ),
        given("b", say("step-working-loss-ingredients-same-far"), "ratio", rating.below, "assumed"),
    )


def _working(formula: str, ingredients: tuple[Ingredient, ...], source: str, value: Estimate) -> Working:
    return Working(formula=formula, ingredients=ingredients, source=source, shares=told_shares(value))


def _plate_speed(found: FoundMachine) -> tuple[Ingredient, ...]:
    speed = found.plate.rated_speed_rpm
    if speed is None:  # an electronic motor is then taken as rated for the speed found
        return (
            given(
                "n_N",
                say("term-rated-speed"),
                "rated_speed",
                found.speed,
                "assumed",
                say("step-working-plate-speed-speed-found"),
            ),
        )
    return (given("n_N", say("term-rated-speed"), "rated_speed", speed, "plate", say("origin-plate")),)


def _slip_line(found: FoundMachine) -> tuple[Ingredient, ...]:
    """What a slip line is drawn from, as far as it is known."""
    plate = found.plate
    volts = found.reference.running.voltage if found.reference else None
    synchronous, rated_volts = plate.synchronous_speed_rpm, plate.rated_voltage_v
    return (
        *_plate_speed(found),
        *((given("n_s", say("term-synchronous-speed"), "speed", synchronous, "worked-out"),) if synchronous else ()),
        *(
            (given("V_N", say("term-rated-volts"), "rated_voltage", rated_volts, "plate", say("origin-plate")),)
            if rated_volts
            else ()
        ),
        *((given("V", say("term-volts"), "voltage", volts, "measured", _set(found)),) if volts else ()),
    )


def _set(found: FoundMachine) -> str:
    return found.reference.title if found.reference else ""


def _fixed_basis(found: FoundMachine) -> Basis:
    return "assumed" if found.fixed_is_assumed else "estimated"
