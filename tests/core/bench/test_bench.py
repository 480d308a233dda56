"""The Bench: runs settle on the steady solution, needles go where the trade knows they go, and every reason is the model's own."""

from __future__ import annotations

import itertools
import math

import pytest
from pydantic import ValidationError

from modest_rotor.core.bench.course import Experiment, course
from modest_rotor.core.bench.run import AMBIENT_C, State, advance, meters, torque_curve
from modest_rotor.core.bench.stand import Controls, Stand, setup_of, solved, stands, synchronous_rpm
from modest_rotor.core.bench.why import Meter, Moves, reasons
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.tables import read_table

EXPERIMENTS = {one.code: one for one in course()}
SETTLED_S = 30.0
UP, SAME, DOWN = Moves.RISES, Moves.SAME, Moves.FALLS


def stand(name: str) -> Stand:
    return stands()[name]


@pytest.mark.parametrize("code", EXPERIMENTS)
def test_every_reason_is_what_the_model_did(code: str) -> None:
    """The parts of a needle's move add up to it, and the part that is named moved it that way."""
    one = EXPERIMENTS[code]
    found = reasons(stand(one.stand), one.before.controls, one.after.controls)
    assert any(reason.moves is not Moves.SAME for reason in found.values())
    for meter, reason in found.items():
        if meter is Meter.WINDING:
            was, now = reason.before - AMBIENT_C, reason.after - AMBIENT_C
        else:
            was, now = reason.before, reason.after
        assert sum(reason.parts.values()) == pytest.approx(math.log(now / was), abs=1e-6), meter
        if reason.moves is not Moves.SAME:
            assert reason.factor is not None and reason.moves * reason.parts[reason.factor] > 0, meter
            assert len(reason.words) > 15


@pytest.mark.parametrize("code", EXPERIMENTS)
def test_the_rig_in_time_settles_where_it_is_solved(code: str) -> None:
    """Within half a percent, from the state before: the reference is the same machine solved without time."""
    one = EXPERIMENTS[code]
    rig = stand(one.stand)
    before = State(speed_rpm=float(solved(rig, one.before.controls).motor.speed_rpm))
    after = advance(rig, one.after.controls, before, SETTLED_S)
    assert after.speed_rpm == pytest.approx(float(solved(rig, one.after.controls).motor.speed_rpm), rel=0.005)


@pytest.mark.parametrize(
    ("code", "moves"),
    [
        ("bare-shaft", {Meter.SPEED: DOWN, Meter.SLIP: UP, Meter.AMPS: UP, Meter.WATTS: UP, Meter.POWER_FACTOR: UP}),
        ("something-rubs", {Meter.SPEED: DOWN, Meter.SLIP: UP, Meter.WATTS: UP, Meter.AMPS: UP}),
        ("lower-tap", {Meter.SPEED: DOWN, Meter.SLIP: UP, Meter.FLOW: DOWN, Meter.WATTS: DOWN}),
        (
            "block-forward-curved",
            {
                Meter.SPEED: UP,
                Meter.AMPS: DOWN,
                Meter.WATTS: DOWN,
                Meter.FLOW: DOWN,
                Meter.PRESSURE: UP,
                Meter.WINDING: UP,
            },
        ),
        ("open-forward-curved", {Meter.SPEED: DOWN, Meter.AMPS: UP, Meter.WATTS: UP, Meter.FLOW: UP}),
        ("block-axial", {Meter.SPEED: DOWN, Meter.AMPS: UP, Meter.WATTS: UP, Meter.FLOW: DOWN, Meter.PRESSURE: UP}),
        ("weak-capacitor", {Meter.SPEED: DOWN, Meter.SLIP: UP, Meter.CAPACITOR_VOLTS: DOWN, Meter.WINDING: UP}),
        ("low-volts", {Meter.SPEED: DOWN, Meter.SLIP: UP, Meter.FLOW: DOWN}),
        ("fewer-hertz", {Meter.SPEED: DOWN, Meter.FLOW: DOWN, Meter.PRESSURE: DOWN, Meter.WATTS: DOWN}),
        ("torque-tap", {Meter.SPEED: UP, Meter.TORQUE: SAME, Meter.FLOW: DOWN}),
        ("air-held", {Meter.SPEED: UP, Meter.FLOW: SAME, Meter.WATTS: UP, Meter.PRESSURE: UP}),
        ("zero-to-ten-volts", {Meter.SPEED: DOWN, Meter.FLOW: DOWN, Meter.WATTS: DOWN}),
        ("pump-with-lift", {Meter.SPEED: DOWN, Meter.FLOW: DOWN, Meter.WATTS: DOWN}),
    ],
)
def test_needles_go_where_the_trade_knows_that_they_go(code: str, moves: dict[Meter, Moves]) -> None:
    """Common practice, no source: what is taught with a motor on a stand, a clamp and a sheet of cardboard."""
    one = EXPERIMENTS[code]
    found = reasons(stand(one.stand), one.before.controls, one.after.controls)
    assert {meter: found[meter].moves for meter in moves} == moves


def test_a_lower_tap_leaves_the_field_as_fast_as_it_was() -> None:
    one = EXPERIMENTS["lower-tap"]
    rig = stand(one.stand)
    assert synchronous_rpm(rig, one.before.controls) == synchronous_rpm(rig, one.after.controls) == 1200
    assert reasons(rig, one.before.controls, one.after.controls)[Meter.SLIP].factor == "flux"


def test_half_the_speed_takes_an_eighth_at_the_shaft_and_more_at_the_line() -> None:
    """Affinity laws: (1/2)³, a little more as the slip differs; ASHRAE Handbook, Systems and Equipment, Fans."""
    one = EXPERIMENTS["half-speed"]
    rig = stand(one.stand)
    shaft = [float(solved(rig, controls).motor.shaft_power_w) for controls in (one.before.controls, one.after.controls)]
    watts = reasons(rig, one.before.controls, one.after.controls)[Meter.WATTS]
    assert shaft[1] / shaft[0] == pytest.approx(1 / 8, rel=0.08)
    assert watts.after / watts.before > 1.5 * shaft[1] / shaft[0]


def test_against_a_lift_a_little_less_speed_moves_hardly_any_water() -> None:
    one = EXPERIMENTS["pump-with-lift"]
    found = reasons(stand(one.stand), one.before.controls, one.after.controls)
    assert found[Meter.SPEED].after > 0.74 * found[Meter.SPEED].before
    assert found[Meter.FLOW].after < 0.5 * found[Meter.FLOW].before


def test_the_inrush_is_that_of_the_motor_at_rest_and_falls_as_it_runs_up() -> None:
    """Reference: the motor's own equations at a slip of one."""
    rig = stand("three-phase fan")
    setup = setup_of(rig, Controls())
    at_rest = float(rig.motor.at_slip(setup.supply, 1.0).current_a)  # type: ignore[union-attr]
    inrush = meters(rig, Controls(), State()).current_a
    running = meters(rig, Controls(), advance(rig, Controls(), State(), SETTLED_S)).current_a
    assert inrush == pytest.approx(at_rest) and inrush > 4 * running


def test_run_up_time_against_an_integration_of_the_whole_curve() -> None:
    """Reference: t = ∫ J dω / (T_motor − T_load), by the trapezium over speed, in place of steps in time."""
    rig = stand("three-phase fan")
    setup = setup_of(rig, Controls())
    curve = torque_curve(setup)
    assert curve is not None
    top = 0.95 * float(setup.settled().motor.speed_rpm)
    speeds = [5.0 + (top - 5.0) * place / 400 for place in range(401)]
    pace = [
        rig.inertia_kgm2 * math.pi / 30 / (curve.at(rpm) - float(setup.load.at_motor_speed(rpm).torque_nm))
        for rpm in speeds
    ]
    expected = sum((a + b) / 2 for a, b in itertools.pairwise(pace)) * (speeds[1] - speeds[0])
    state, taken = State(), 0.0
    while state.speed_rpm < top:
        state, taken = advance(rig, Controls(), state, 0.02, True, curve), taken + 0.02
    assert taken == pytest.approx(expected, rel=0.05)


def test_an_electronic_motor_starts_softly_and_one_that_brakes_stops_sooner() -> None:
    rig = stand("electronic blower")
    half_way = advance(rig, Controls(), State(), 4.0)
    assert 0.3 < half_way.speed_rpm / 1100 < 0.6
    running = advance(rig, Controls(), half_way, SETTLED_S)
    assert 0 < advance(rig, Controls(), running, 1.0, on=False).speed_rpm < running.speed_rpm
    assert meters(rig, Controls(), State()).input_w < 10


def test_a_blocked_blower_warms_though_it_takes_less() -> None:
    rig = stand("capacitor blower")
    blocked = Controls(damper=3.0)
    hot = advance(rig, blocked, State(speed_rpm=1130.0, winding_c=80.0), 60.0)
    assert hot.winding_c > 80.2


@pytest.mark.parametrize(
    "wrong",
    [Controls(volts=0), Controls(damper=0), Controls(drag=-1), Controls(hertz=-5)],
    ids=["volts", "damper", "drag", "hertz"],
)
def test_controls_that_nothing_runs_on_are_refused_in_words(wrong: Controls) -> None:
    with pytest.raises(OutsideValidity):
        solved(stand("capacitor blower"), wrong)


def test_a_control_that_a_motor_does_not_have_is_refused() -> None:
    with pytest.raises(OutsideValidity, match="neither run capacitor nor speed taps"):
        solved(stand("three-phase fan"), Controls(capacitor=0.5))


@pytest.mark.parametrize("name", stands())
@pytest.mark.parametrize("damper", [0.05, 1.0, 200.0])
@pytest.mark.parametrize("volts", [0.4, 1.0, 1.2])
def test_extremes_leave_finite_needles(name: str, damper: float, volts: float) -> None:
    rig, controls = stand(name), Controls(damper=damper, volts=volts)
    seen = meters(rig, controls, advance(rig, controls, State(), 3.0))
    assert all(math.isfinite(value) for value in vars(seen).values())


def test_the_course_is_in_order_and_every_mechanism_is_said_both_ways() -> None:
    assert [one.number for one in course()] == list(range(1, len(course()) + 1))
    for row in read_table("mechanisms"):
        assert row["rises"] and row["falls"]


@pytest.mark.parametrize(
    "change", [{"stand": "a rocket"}, {"after": {}}, {"code": "No Code"}, {"after": {"volts": -1}}]
)
def test_an_experiment_that_cannot_be_is_refused(change: dict[str, object]) -> None:
    with pytest.raises(ValidationError):
        Experiment.model_validate(EXPERIMENTS["low-volts"].model_dump(mode="json") | change)
