"""The Bench: runs settle on the steady solution, readings go where the trade knows they go, and every reason is the model's own."""

from __future__ import annotations

import itertools
import math
from dataclasses import replace
from functools import cache
from typing import Any

import numpy as np
import pytest
from pydantic import ValidationError

from modest_rotor.core.bench.course import SEVERAL, Experiment, course, topic_of
from modest_rotor.core.bench.knobs import Turned, knobs_of
from modest_rotor.core.bench.run import AMBIENT_C, State, advance, meters, prepare, settled, torque_curve
from modest_rotor.core.bench.shipped import stands
from modest_rotor.core.bench.stand import (
    LEAST_LOOP_HZ,
    Controls,
    Law,
    SensorAt,
    Stand,
    Tap,
    behind_sensor,
    held_hertz,
    load_of,
    resistance,
    set_pressure,
    setup_of,
    solved,
    synchronous_rpm,
)
from modest_rotor.core.bench.why import Meter, Moves, Reason, reasons
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.physics.electronic import Command, Stopping
from modest_rotor.core.physics.loop import Gains, Hunting, Swing, calmer, hunting_of
from modest_rotor.core.tables import read_table
from tests.said import codes_of, refused_with

EXPERIMENTS = {one.code: one for one in course()}
SETTLED_S = 30.0
UP, SAME, DOWN = Moves.RISES, Moves.SAME, Moves.FALLS


def stand(name: str) -> Stand:
    return stands()[name]


@cache
def explained(code: str) -> dict[Meter, Reason]:
    """Every reading of an experiment, worked out once for all tests of it."""
    one = EXPERIMENTS[code]
    return reasons(stand(one.stand), one.before.controls, one.after.controls)


@pytest.mark.parametrize("code", EXPERIMENTS)
def test_every_reason_is_what_the_model_did(code: str) -> None:
    """The parts of a reading's move add up to it, and the part that is named moved it that way."""
    one = EXPERIMENTS[code]
    found = explained(code)
    assert any(reason.moves is not Moves.SAME for reason in found.values())
    assert set(one.meters) <= set(found), "every meter that is asked for is there"
    for meter, reason in found.items():
        if reason.moves is not Moves.SAME:
            assert reason.factor is not None and len(reason.words) > 10
        if reason.factor == "nothing":
            assert min(reason.before, reason.after) < 1e-6
            continue
        if meter is Meter.WINDING:
            was, now = reason.before - AMBIENT_C, reason.after - AMBIENT_C
        else:
            was, now = reason.before, reason.after
        assert sum(reason.contributions.values()) == pytest.approx(math.log(now / was), abs=1e-3), meter
        if reason.factor is not None:
            assert reason.moves * reason.contributions[reason.factor] > 0, meter


@pytest.mark.slow
@pytest.mark.parametrize("code", EXPERIMENTS)
def test_the_rig_in_time_settles_where_it_is_solved(code: str) -> None:
    """Within half a percent, from the state before: the reference is the same machine solved without time."""
    one = EXPERIMENTS[code]
    rig = stand(one.stand)
    _, before = settled(rig, one.before.controls)
    warm, steady = settled(rig, one.after.controls)
    after = advance(warm, replace(before, winding_c=steady.winding_c), SETTLED_S)
    assert after.speed_rpm == pytest.approx(steady.speed_rpm, rel=0.005)
    assert after.winding_c == pytest.approx(steady.winding_c, abs=1.0)
    # A loop comes to its set point, solved with a cold winding: within the same half percent.
    assert after.output_hz == (pytest.approx(steady.output_hz, rel=0.005) if one.after.loop else steady.output_hz)


LOOPED = stands()["three-phase fan on a drive"]


def looped(seconds: float, **said: float) -> list[State]:
    """The rig at its loop, its set point moved by a tenth, looked at five times a second."""
    _, state = settled(LOOPED, Controls(loop=True, set_point=0.5))
    rig = prepare(LOOPED, Controls(loop=True, set_point=0.6, **said))  # type: ignore[arg-type]
    seen = []
    for _ in range(round(seconds * 5)):
        state = advance(rig, state, 0.2)
        seen.append(state)
    return seen


def swing(seen: list[State]) -> Hunting:
    return hunting_of(np.arange(len(seen)) / 5, np.array([state.felt_pa for state in seen]), 0.5)


@pytest.mark.slow
def test_a_calm_loop_comes_to_its_set_point_and_a_wild_one_hunts_until_it_is_calmed() -> None:
    seen = looped(40, gain=1, integral_s=4)
    assert seen[-1].felt_pa == pytest.approx(set_pressure(LOOPED, Controls(set_point=0.6)), rel=0.005)
    assert swing(seen).swing is Swing.QUIET
    wild = swing(looped(40, gain=10, integral_s=4))
    assert wild.swing is Swing.HUNTS and wild.period_s is not None
    calm = calmer(Gains(10, 4), wild)
    assert swing(looped(60, gain=calm.gain, integral_s=calm.integral_s)).swing in (Swing.QUIET, Swing.DIES_AWAY)


@pytest.mark.slow
def test_an_integral_time_shorter_than_the_sensor_takes_makes_a_calm_loop_swing() -> None:
    assert swing(looped(100, gain=1, integral_s=6, sensor_s=2.0)).swing in (Swing.QUIET, Swing.DIES_AWAY)
    assert swing(looped(100, gain=1, integral_s=0.7, sensor_s=2.0)).swing in (Swing.LIVELY, Swing.HUNTS)


def test_a_sensor_farther_along_saves_more_with_outlets_shut() -> None:
    """By hand: what lies behind the sensor keeps its pressure, so two of three thirds of the duct are let off it."""
    watts = {at: meters(*settled(LOOPED, Controls(loop=True, outlets=3, sensor_at=at))).input_w for at in SensorAt}
    in_hand = meters(*settled(LOOPED, Controls(outlets=3, hertz=settled(LOOPED, Controls(loop=True))[0].hertz))).input_w
    assert watts[SensorAt.ALONG] < 0.9 * watts[SensorAt.UNIT] < 0.95 * in_hand


def test_a_loop_needs_a_drive_and_is_told_its_ends() -> None:
    with refused_with(OutsideValidity, "stand-refuse-loop-holds"):
        solved(stands()["three-phase fan"], Controls(loop=True))
    assert held_hertz(LOOPED, Controls(loop=True, set_point=1.5)) == LOOPED.hertz
    assert held_hertz(LOOPED, Controls(loop=True, lift=0.9)) == LEAST_LOOP_HZ


@pytest.mark.parametrize(
    ("code", "moves"),
    [
        ("loop-outlets-shut", {Meter.SPEED: DOWN, Meter.WATTS: DOWN, Meter.FLOW: DOWN, Meter.PRESSURE: DOWN}),
        ("loop-at-the-unit", {Meter.SPEED: UP, Meter.WATTS: UP, Meter.FLOW: UP}),
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
        # NEMA MG 1, 14.36, from memory: speed at load falls but slightly; what rises are amps of one line, losses and warmth
        ("unbalanced-volts", {Meter.SPEED: SAME, Meter.AMPS: UP, Meter.WINDING: UP, Meter.FLOW: SAME}),
        ("open-capacitor", {Meter.SPEED: DOWN, Meter.START_AMPS: DOWN, Meter.WATTS: UP, Meter.WINDING: UP}),
        ("carrier", {Meter.RIPPLE: DOWN, Meter.MOTOR_VOLTS: SAME, Meter.LINK: SAME, Meter.SPEED: SAME}),
        ("rectifier", {Meter.LINK: DOWN, Meter.LINE_PEAK: UP, Meter.MOTOR_VOLTS: UP}),
        ("two-fans-one-off", {Meter.FLOW: DOWN, Meter.PRESSURE: DOWN, Meter.WATTS: DOWN, Meter.SPEED: UP}),
        ("two-fans-both-slow", {Meter.FLOW: SAME, Meter.WATTS: DOWN, Meter.SPEED: DOWN}),
        ("pump-with-lift", {Meter.SPEED: DOWN, Meter.FLOW: DOWN, Meter.WATTS: DOWN}),
        ("year-at-low", {Meter.YEAR: DOWN, Meter.SPEED: SAME}),
        ("year-always-on", {Meter.YEAR: UP, Meter.WATTS: SAME}),
    ],
)
def test_readings_go_where_the_trade_knows_that_they_go(code: str, moves: dict[Meter, Moves]) -> None:
    """Common practice, no source: what is taught with a motor on a stand, a clamp and a sheet of cardboard."""
    found = explained(code)
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


def test_against_a_lift_a_little_less_speed_moves_no_water_while_the_pump_still_turns() -> None:
    one = EXPERIMENTS["pump-with-lift"]
    found = reasons(stand(one.stand), one.before.controls, one.after.controls)
    assert found[Meter.SPEED].after > 0.65 * found[Meter.SPEED].before
    assert found[Meter.FLOW].after == 0 and "table-mechanisms-falls-flow-nothing" in codes_of(found[Meter.FLOW].words)
    assert found[Meter.WATTS].after > 200


def test_one_fan_of_two_gives_more_than_half_the_air() -> None:
    """AMCA Publication 201, fans in parallel: one alone runs further out on its curve."""
    one = EXPERIMENTS["two-fans-one-off"]
    flow = reasons(stand(one.stand), one.before.controls, one.after.controls)[Meter.FLOW]
    assert 0.5 < flow.after / flow.before < 0.8


def test_the_year_of_half_the_hours_at_half_the_speed_by_hand() -> None:
    """By hand: 2,000 h at full and 2,000 h at half, each at the watts that the meters show there."""
    one = EXPERIMENTS["year-at-low"]
    rig = stand(one.stand)
    year = reasons(rig, one.before.controls, one.after.controls)[Meter.YEAR]
    half = reasons(rig, Controls(), Controls(hertz=25.0))[Meter.WATTS]
    assert year.before == pytest.approx(4 * half.before, rel=0.01)
    assert year.after == pytest.approx(2 * half.before + 2 * half.after, rel=0.01)
    assert year.after / year.before == pytest.approx(3 / 5, abs=0.02), "two fifths less, as its point says"
    low = reasons(rig, Controls(hours=2000), Controls(low_hours=2000))[Meter.YEAR]
    assert low.after == pytest.approx(2 * half.after, rel=0.01), "hours at low alone count as well"
    with pytest.raises(OutsideValidity, match="8,760"):
        reasons(rig, Controls(hours=8000, low_hours=2000), Controls())
    with refused_with(OutsideValidity, "stand-refuse-hours-low"):
        reasons(stand("three-phase fan"), Controls(hours=10, low_hours=20), Controls())


def test_the_inrush_is_that_of_the_motor_at_rest_and_falls_as_it_runs_up() -> None:
    """Reference: the motor's own equations at a slip of one."""
    rig = stand("three-phase fan")
    setup = setup_of(rig, Controls())
    at_rest = float(rig.motor.at_slip(setup.supply, 1.0).current_a)  # type: ignore[union-attr]
    ready = prepare(rig, Controls())
    inrush = meters(ready, State()).current_a
    running = meters(ready, advance(ready, State(), SETTLED_S)).current_a
    assert inrush == pytest.approx(at_rest) and inrush > 4 * running


def test_starting_time_time_against_an_integration_of_the_whole_curve() -> None:
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
    state, taken, ready = State(), 0.0, prepare(rig, Controls())
    while state.speed_rpm < top:
        state, taken = advance(ready, state, 0.02), taken + 0.02
    assert taken == pytest.approx(expected, rel=0.05)


def test_an_electronic_motor_starts_softly_and_one_that_brakes_stops_sooner() -> None:
    rig = stand("electronic blower")
    ready = prepare(rig, Controls())
    half_way = advance(ready, State(), 4.0)
    assert 0.3 < half_way.speed_rpm / 1100 < 0.6
    running = advance(ready, half_way, SETTLED_S)
    coasting = advance(ready, running, 1.0, on=False)
    assert 0 < coasting.speed_rpm < running.speed_rpm
    module = replace(rig.motor.module, stopping=Stopping.BRAKES)  # type: ignore[union-attr]
    braking = prepare(replace(rig, motor=replace(rig.motor, module=module)), Controls())  # type: ignore[type-var]
    assert advance(braking, running, 9.0, on=False).speed_rpm == 0 < advance(ready, running, 9.0, on=False).speed_rpm
    assert meters(ready, State()).input_w < 10


def test_a_drive_goes_up_its_ramp_without_the_inrush_of_the_line() -> None:
    """Common practice: on a ramp the amps stay about those of running; on the line they are several times as many."""
    fan, line = stand("three-phase fan on a drive"), stand("three-phase fan")
    ready, state, most = prepare(fan, Controls()), State(), 0.0
    for _ in range(80):
        state = advance(ready, state, 0.1)
        most = max(most, meters(ready, state).current_a)
    assert state.output_hz == 50 and state.speed_rpm > 1430
    assert most < 0.3 * meters(prepare(line, Controls()), State()).current_a
    slower = advance(prepare(fan, Controls(hertz=40)), state, 0.5)
    assert 40 < slower.output_hz < 50, "it goes down its ramp as well"
    assert advance(ready, state, 0.1, on=False).output_hz == 0


def test_a_drive_holds_its_speed_on_a_sagging_line_and_draws_more_amps_for_it() -> None:
    """Common practice: the link has volts to spare at part speed; the same watts at nine tenths of the volts are 1.11 times the amps."""
    rig, at = stand("three-phase fan on a drive"), Controls(hertz=40.0)
    found = reasons(rig, at, replace(at, volts=0.9))
    assert found[Meter.SPEED].moves is SAME and found[Meter.WATTS].moves is SAME
    assert found[Meter.AMPS].after / found[Meter.AMPS].before == pytest.approx(1 / 0.9, rel=0.01)
    assert found[Meter.AMPS].factor == "volts" and found[Meter.LINK].moves is DOWN
    full = reasons(rig, Controls(), Controls(volts=0.9))
    assert full[Meter.SLIP].moves is UP, "at full speed it has none to spare"


def test_with_an_open_capacitor_it_runs_on_but_does_not_start() -> None:
    rig, broken = stand("capacitor blower"), Controls(capacitor=0.0)
    assert settled(rig, broken)[1].speed_rpm > 900
    ready = prepare(rig, broken)
    still = advance(ready, State(), 20.0)
    assert still.speed_rpm == 0 and meters(ready, still).current_a > 5 and still.winding_c > AMBIENT_C + 5


def test_a_start_switch_opens_on_the_way_up() -> None:
    """Common practice: five to seven times the running amps until three quarters of synchronous speed."""
    ready = prepare(stand("blower with a start switch"), Controls())
    rest, running = meters(ready, State()), meters(ready, advance(ready, State(), 10.0))
    assert 5 < rest.current_a / running.current_a < 7 and running.speed_rpm > 1700


def test_a_blocked_blower_warms_though_it_takes_less() -> None:
    rig = stand("capacitor blower")
    hot = advance(prepare(rig, Controls(open=0.52)), State(speed_rpm=1130.0, winding_c=80.0), 60.0)
    assert hot.winding_c > 80.2


@pytest.mark.parametrize(
    ("before", "after", "factor", "moves"),
    [
        (
            Controls(command=Command.TORQUE, value=0.5),
            Controls(command=Command.TORQUE, value=0.5, filter=4),
            "torque held",
            UP,
        ),
        (
            Controls(command=Command.AIRFLOW, value=0.8),
            Controls(command=Command.AIRFLOW, value=0.8, filter=4),
            "air held",
            UP,
        ),
        (Controls(value=0.9), Controls(value=0.5), "told", DOWN),
        (
            Controls(command=Command.AIRFLOW, value=0.8),
            Controls(command=Command.AIRFLOW, value=1.2, filter=12),
            "limit",
            UP,
        ),
        (Controls(command=Command.SPEED, value=0.9), Controls(command=Command.AIRFLOW, value=0.4), "air held", DOWN),
    ],
    ids=["torque", "air", "speed", "at its limit", "another command"],
)
def test_an_electronic_motors_speed_is_explained_by_what_it_holds(
    before: Controls, after: Controls, factor: str, moves: Moves
) -> None:
    speed = reasons(stand("electronic blower"), before, after)[Meter.SPEED]
    assert (speed.factor, speed.moves) == (factor, moves)


def test_thin_air_takes_torque_and_pressure_and_leaves_flow() -> None:
    """Gas law and affinity laws: at 50 °C air is 0.907 as dense as at 20 °C; flow hardly moves, pressure and torque go with it."""
    found = reasons(stand("three-phase fan"), Controls(), Controls(air_c=50.0))
    assert found[Meter.PRESSURE].after / found[Meter.PRESSURE].before == pytest.approx(0.907, rel=0.01)
    assert found[Meter.TORQUE].factor == "density" and found[Meter.FLOW].moves is SAME
    assert reasons(stand("three-phase pump"), Controls(), Controls(air_c=50.0))[Meter.PRESSURE].moves is SAME


def test_fewer_volts_than_hertz_ask_for_save_a_little_on_a_fan() -> None:
    """Common practice: at low load less flux is less core loss; the field turns as fast as before."""
    rig, at = stand("three-phase fan on a drive"), Controls(hertz=30.0)
    found = reasons(rig, at, replace(at, law=Law.FAN))
    assert found[Meter.SLIP].moves is UP and found[Meter.SLIP].factor == "flux"
    assert found[Meter.WATTS].after < found[Meter.WATTS].before


def test_the_duct_is_as_built_when_nothing_is_turned_and_a_shut_damper_is_nearly_a_wall() -> None:
    assert resistance(Controls()) == pytest.approx(1.0)
    assert resistance(Controls(filter=0)) < 1 < resistance(Controls(outlets=3)) < resistance(Controls(open=0.3))
    assert resistance(Controls(open=0.05)) > 100


BLOWER_RIG, LINE_RIG, DRIVE_RIG = "capacitor blower", "three-phase fan", "three-phase fan on a drive"
VOLTS, DUCT, OWN, YEAR = (
    "Volts lie above zero",
    "A damper stands above shut",
    "neither run capacitor",
    "A year has 8,760",
)
LOW, LOOP, GAINS, UNBALANCE = (
    "Hours at low need",
    "holds its pressure through a drive",
    "integral time of a loop",
    "on the line",
)


@pytest.mark.parametrize(
    ("rig", "wrong", "words"),
    [
        (BLOWER_RIG, {"volts": 0}, VOLTS), (BLOWER_RIG, {"hertz": -5}, VOLTS), (BLOWER_RIG, {"drag": -1}, VOLTS),
        (BLOWER_RIG, {"filter": -1}, VOLTS), (LINE_RIG, {"unbalance": -0.01}, VOLTS),
        (BLOWER_RIG, {"open": 0}, DUCT), (BLOWER_RIG, {"open": 1.01}, DUCT), (BLOWER_RIG, {"outlets": 0}, DUCT),
        (BLOWER_RIG, {"outlets": 7}, DUCT), (BLOWER_RIG, {"lift": -0.1}, DUCT), (BLOWER_RIG, {"lift": 1}, DUCT),
        (BLOWER_RIG, {"air_c": -274}, DUCT), (LINE_RIG, {"capacitor": 0.5}, OWN), (LINE_RIG, {"label": 0.5}, OWN),
        (LINE_RIG, {"tap": Tap.LOW}, OWN), (DRIVE_RIG, {"hours": 5000, "low_hours": 3761}, YEAR),
        (LINE_RIG, {"hours": 1, "low_hours": 1}, LOW), (LINE_RIG, {"loop": True}, LOOP),
        (DRIVE_RIG, {"loop": True, "bare": True}, LOOP), (DRIVE_RIG, {"set_point": 0}, GAINS), (DRIVE_RIG, {"gain": 0}, GAINS),
        (DRIVE_RIG, {"integral_s": 0}, GAINS), (DRIVE_RIG, {"sensor_s": -0.1}, GAINS),
        (BLOWER_RIG, {"unbalance": 0.02}, UNBALANCE), (DRIVE_RIG, {"unbalance": 0.02}, UNBALANCE),
    ],
)  # fmt: skip
def test_controls_that_nothing_runs_on_are_refused_in_words(rig: str, wrong: dict[str, Any], words: str) -> None:
    with pytest.raises(OutsideValidity, match=words):
        solved(stand(rig), Controls(**wrong))


@pytest.mark.parametrize(
    ("rig", "right"),
    [
        (LINE_RIG, {"unbalance": 0.02}),
        (BLOWER_RIG, {"tap": Tap.LOW, "capacitor": 0.5}),
        (DRIVE_RIG, {"hours": 5000, "low_hours": 3760, "loop": True, "sensor_s": 0}),
        ("electronic blower", {"hours": 1, "low_hours": 1, "open": 1, "outlets": 6}),
    ],
)
def test_what_stands_just_within_is_taken(rig: str, right: dict[str, Any]) -> None:
    assert solved(stand(rig), Controls(**right))


def test_unbalanced_volts_take_torque_at_every_speed() -> None:
    """The backward field brakes; the loss grows as the square of its volts. Source: symmetrical components, any textbook."""
    setup = setup_of(stand(LINE_RIG), Controls())
    even, two, four = (torque_curve(setup, unbalance) for unbalance in (0.0, 0.02, 0.04))
    assert even is not None and two is not None and four is not None
    inside = (even.speed_rpm > 1) & (even.speed_rpm < 0.98 * even.speed_rpm.max() / 2)
    lost_at_two, lost_at_four = ((even.torque_nm - one.torque_nm)[inside] for one in (two, four))
    assert (lost_at_two > 0).all() and inside.sum() > 50
    assert lost_at_four / lost_at_two == pytest.approx(4.0, rel=0.02)


def test_more_unbalance_never_does_less() -> None:
    """Speed falls and watts, amps and losses rise from step to step; at nothing they are those of even volts."""
    steps = [solved(stand(LINE_RIG), Controls(unbalance=share)).motor for share in (0.0, 1e-6, 0.01, 0.02, 0.04, 0.08)]
    assert float(steps[1].speed_rpm) == pytest.approx(float(steps[0].speed_rpm), rel=1e-6)
    assert float(steps[1].input_power_w) == pytest.approx(float(steps[0].input_power_w), rel=1e-6)
    for before, after in itertools.pairwise(steps):
        assert after.speed_rpm < before.speed_rpm and after.shaft_power_w < before.shaft_power_w
        assert after.input_power_w > before.input_power_w and after.current_a > before.current_a


RANGES = {
    "drag": (0, 1.5, 0.05), "capacitor": (0, 1, 0.05), "label": (0.4, 1.8, 0.05), "volts": (0.4, 1.2, 0.01),
    "unbalance": (0, 0.08, 0.005), "carrier_hz": (1000, 16000, 500), "set_point": (0.1, 1.2, 0.05), "gain": (0.2, 30, 0.2),
    "integral_s": (0.5, 30, 0.5), "sensor_s": (0, 5, 0.1), "open": (0.05, 1, 0.05), "filter": (0, 12, 0.25), "outlets": (1, 6, 1),
    "lift": (0, 0.9, 0.05), "air_c": (-20, 50, 5), "hours": (0, 8760, 250), "low_hours": (0, 8760, 250), "low": (0.2, 1, 0.05),
    "Supply hertz": (40, 65, 1), "Drive’s hertz": (10, 60, 0.5), "Torque dial": (0.1, 1, 0.05), "Air dial": (0.2, 1.2, 0.05),
    "Signal": (0.1, 1, 0.05),
}  # fmt: skip
"""How far each control turns and in which steps, typed a second time; switches have no range."""


@pytest.mark.parametrize("name", stands())
def test_controls_turn_as_far_as_they_are_said_to(name: str) -> None:
    for knob in knobs_of(stand(name)):
        if not knob.choices:
            said = RANGES.get(knob.label) or RANGES[knob.key]
            assert (knob.low, knob.high, knob.step) == said, knob.label
            built = knob.built if isinstance(knob.built, float | int) else 0.0
            assert knob.low <= built <= knob.high


@pytest.mark.slow
@pytest.mark.parametrize("name", stands())
def test_every_knob_at_both_ends_leaves_finite_readings_or_words(name: str) -> None:
    rig = stand(name)
    for knob in knobs_of(rig):
        ends = [choice.value for choice in knob.choices] or [knob.low, knob.high]
        for end in ends:
            told = Turned.model_validate({knob.key: end} | ({"command": knob.command} if knob.command else {}))
            ready = prepare(rig, told.controls)
            seen = meters(ready, advance(ready, State(), 0.5))
            assert all(math.isfinite(value) for value in vars(seen).values()), (knob.key, end)


@pytest.mark.slow
@pytest.mark.parametrize("name", stands())
def test_every_extreme_at_once_leaves_the_rig_usable(name: str) -> None:
    rig = stand(name)
    hard = Controls(
        volts=0.4, open=0.05, filter=20, outlets=1, drag=3, air_c=-20, value=0.05 if rig.is_electronic else 1.0
    )
    seen = meters(prepare(rig, hard), advance(prepare(rig, hard), State(), 3.0))
    assert all(math.isfinite(value) for value in vars(seen).values())
    found = reasons(rig, Controls(), hard)
    assert found[Meter.SPEED].moves is DOWN and all(len(reason.words) > 5 for reason in found.values())


def test_a_free_change_belongs_to_the_topic_of_its_control() -> None:
    assert topic_of(Turned(), Turned(open=0.5)) == "restriction"
    assert topic_of(Turned(), Turned(capacitor=0.5)) == "capacitor"
    assert topic_of(Turned(), Turned(capacitor=0.5, volts=0.9)) == SEVERAL


def test_the_course_is_in_order_and_every_mechanism_is_said_both_ways() -> None:
    assert [one.number for one in course()] == list(range(1, len(course()) + 1))
    for row in read_table("mechanisms"):
        assert row["rises"] and row["falls"]


@pytest.mark.parametrize(
    "change",
    [
        {"stand": "a rocket"},
        {"after": {}},
        {"code": "No Code"},
        {"after": {"volts": -1}},
        {"topic": "alchemy"},
        {"meters": ["speed", "speed", "slip"]},
    ],
)
def test_an_experiment_that_cannot_be_is_refused(change: dict[str, object]) -> None:
    with pytest.raises(ValidationError):
        Experiment.model_validate(EXPERIMENTS["low-volts"].model_dump(mode="json") | change)


@pytest.mark.parametrize("name", stands())
def test_what_stands_as_built_is_what_the_controls_take_where_nothing_is_said(name: str) -> None:
    """But for hertz and fans, whose nought means as built."""
    for knob in knobs_of(stand(name)):
        if knob.key not in ("hertz", "fans"):
            assert knob.built == Turned.model_fields[knob.key].default, knob.key
        if not knob.choices:
            assert knob.low <= knob.built <= knob.high, knob.key


@pytest.mark.parametrize("name", stands())
def test_meters_at_rest_in_speed_show_the_power_that_goes_through_the_shaft(name: str) -> None:
    """P = T ω of what is shown, against what the air or water takes at that speed; small motors have a torque far under 1 N·m."""
    rig, state = settled(stand(name), Turned().controls)
    shown = meters(rig, state)
    load = rig.setup.load.at_motor_speed(state.speed_rpm)
    assert shown.torque_nm * shown.speed_rpm * math.pi / 30 == pytest.approx(float(load.motor_power_w), rel=0.02)


def test_a_pump_has_a_valve_strainer_and_branches_and_a_fan_damper_filter_and_outlets() -> None:
    """Words of the trade; common practice, no source."""
    wanted = {True: {"open": "Valve", "filter": "Strainer", "outlets": "Branches open"}, False: {"open": "Damper", "filter": "Filter", "outlets": "Outlets open"}}  # fmt: skip
    met = set()
    for rig in stands().values():
        labels = {knob.key: knob.label for knob in knobs_of(rig)}
        for key, label in wanted[rig.is_pump].items():
            if key in labels:
                met.add((rig.is_pump, key))
                assert labels[key] == label, rig
    assert {(True, "open"), (False, "open"), (False, "filter")} <= met


@pytest.mark.parametrize("place", SensorAt)
def test_what_lies_behind_a_sensor_and_before_it_are_the_whole_duct(place: SensorAt) -> None:
    """Losses in series add up: nothing behind is more than all, what is shut at the outlets lies behind every sensor, and filters before it."""
    controls = Controls(sensor_at=place)
    load = load_of(LOOPED, controls)
    whole, behind = load.system.coefficient, behind_sensor(LOOPED, controls, load).coefficient
    assert 0 < float(behind) <= float(whole)
    shut = replace(controls, outlets=3)
    tighter = load_of(LOOPED, shut)
    grown = float(behind_sensor(LOOPED, shut, tighter).coefficient) - float(behind)
    assert grown == pytest.approx(float(tighter.system.coefficient) - float(whole), rel=1e-9) and grown > 0
    dirty = replace(controls, filter=3.0)
    assert float(behind_sensor(LOOPED, dirty, load_of(LOOPED, dirty)).coefficient) == pytest.approx(
        float(behind), rel=1e-9
    )
