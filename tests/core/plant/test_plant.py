"""The simulated plant settles on the machine as it is solved, starts and stops as settings, and shows what a meter would."""

from __future__ import annotations

import math

import pytest

from modest_rotor.core.physics.commanded import settle_commanded
from modest_rotor.core.physics.electronic import Command
from modest_rotor.core.physics.operating_point import settle
from modest_rotor.core.physics.supply import Supply
from modest_rotor.core.plant.demo import hall_fan, waiting_hall_blower
from modest_rotor.core.plant.plant import Plant, Settings, advance, output_voltage_v, shown, target_hz
from modest_rotor.core.plant.turning import State
from modest_rotor.core.stations.traits import DriveTraits, SignalTraits

pytestmark = pytest.mark.slow

TRAITS = DriveTraits(floor_hz=10, top_hz=60, start_up_s=5, start_up_hz=15)
FAN = hall_fan(TRAITS)
BLOWER = waiting_hall_blower(SignalTraits(off_below_v=1.0))
RUN = Settings(run=True, frequency_hz=40.0, high_hz=50.0, ramp_up_s=10, ramp_down_s=10)
SETTLED_S = 60.0


@pytest.mark.parametrize("hertz", [20.0, 30.0, 40.0, 50.0])
def test_a_fan_on_a_drive_settles_on_the_steady_solution(hertz: float) -> None:
    """Reference: the same motor and load solved without time. Half a percent, as asked of dynamic runs."""
    settings = Settings(run=True, frequency_hz=hertz, high_hz=50.0, ramp_up_s=5)
    after = advance(FAN, settings, State(), SETTLED_S)
    steady = settle(FAN.motor, Supply(output_voltage_v(settings, hertz, FAN.volts), hertz), FAN.load)
    assert after.output_hz == pytest.approx(hertz)
    assert after.speed_rpm == pytest.approx(float(steady.motor.speed_rpm), rel=0.005)


@pytest.mark.parametrize("volts", [3.0, 6.0, 10.0])
def test_an_electronic_blower_settles_on_the_steady_solution(volts: float) -> None:
    """Reference: the commanded machine solved without time."""
    after = advance(BLOWER, Settings(run=True, signal_v=volts), State(), SETTLED_S)
    wanted = volts / 10 * float(BLOWER.motor.rated_speed_rpm)  # type: ignore[union-attr]
    steady = settle_commanded(BLOWER.motor, Command.SPEED, wanted, BLOWER.load, BLOWER.volts)  # type: ignore[arg-type]
    assert after.speed_rpm == pytest.approx(float(steady.motor.speed_rpm), rel=0.005)
    assert shown(BLOWER, Settings(run=True, signal_v=volts), after).input_w == pytest.approx(
        float(steady.motor.input_power_w), rel=0.005
    )


def test_half_the_hertz_take_about_an_eighth_of_the_shaft_and_more_of_the_input() -> None:
    """Affinity laws for the shaft (ASHRAE Handbook, Systems and Equipment, Fans); the input falls less."""
    watts = {}
    for hertz in (25.0, 50.0):
        settings = Settings(run=True, frequency_hz=hertz, high_hz=50.0, ramp_up_s=5)
        watts[hertz] = shown(FAN, settings, advance(FAN, settings, State(), SETTLED_S)).input_w
    assert 1 / 8 < watts[25.0] / watts[50.0] < 0.30


def test_it_ramps_as_long_as_it_is_told_and_stops_when_told() -> None:
    half_way = advance(FAN, RUN, State(), 5.0)
    assert half_way.output_hz == pytest.approx(25.0, abs=0.6)
    running = advance(FAN, RUN, half_way, SETTLED_S)
    stopped = advance(FAN, Settings(run=False, ramp_down_s=10), running, 120.0)
    assert stopped.output_hz == 0 and stopped.speed_rpm < 60


def test_every_start_runs_its_own_start_up_first() -> None:
    assert target_hz(TRAITS, Settings(run=True, frequency_hz=12, high_hz=50), 0.0, 1.0) == 15
    assert target_hz(TRAITS, Settings(run=True, frequency_hz=12, high_hz=50), 15.0, 6.0) == 12


@pytest.mark.parametrize(
    ("wanted", "came_from", "goes"),
    [(31.0, 25.0, 30.5), (31.0, 40.0, 31.5), (33.0, 25.0, 33.0), (70.0, 25.0, 50.0), (2.0, 25.0, 10.0)],
)
def test_a_skipped_band_is_left_on_the_side_it_was_entered_from(wanted: float, came_from: float, goes: float) -> None:
    """How drives handle skipped bands: common practice, no source."""
    settings = Settings(run=True, frequency_hz=wanted, high_hz=50, skips=((30.5, 31.5),))
    assert target_hz(TRAITS, settings, came_from, 99.0) == goes


def test_inside_the_dead_band_it_stands_and_takes_its_standby() -> None:
    settings = Settings(run=True, signal_v=0.8)
    seen = shown(BLOWER, settings, advance(BLOWER, settings, State(), SETTLED_S))
    assert seen.speed_rpm == 0 and seen.flow_m3s == 0 and 0 < seen.input_w < 20


def test_what_meters_show_hangs_together() -> None:
    settings = Settings(run=True, frequency_hz=50, high_hz=50, ramp_up_s=5)
    seen = shown(FAN, settings, advance(FAN, settings, State(), SETTLED_S))
    assert seen.pressure_pa == pytest.approx(seen.supply_static_pa - seen.return_static_pa)
    assert seen.link_v == pytest.approx(math.sqrt(2) * FAN.volts)
    assert seen.input_w == pytest.approx(math.sqrt(3) * FAN.volts * seen.line_a * seen.power_factor, rel=0.01)
    assert seen.leaving_c > seen.entering_c
    quiet = Settings(run=True, frequency_hz=38, high_hz=50, ramp_up_s=5)
    loud = Settings(run=True, frequency_hz=43, high_hz=50, ramp_up_s=5)
    levels = [shown(FAN, one, advance(FAN, one, State(), SETTLED_S)).sound_db for one in (quiet, loud)]
    assert levels[1] > levels[0] + 8


@pytest.mark.parametrize(
    ("machine", "settings"), [(FAN, RUN), (BLOWER, Settings(run=True, signal_v=8.0))], ids=["fan", "blower"]
)
def test_time_adds_up_in_small_steps_and_in_one(machine: Plant, settings: Settings) -> None:
    """Forty steps of a quarter of a second are ten seconds; how long it has run is counted, and begins anew after a stop."""
    small = State()
    for _ in range(40):
        small = advance(machine, settings, small, 0.25)
    whole = advance(machine, settings, State(), 10.0)
    assert small.running_s == pytest.approx(10.0) and whole.running_s == pytest.approx(10.0)
    assert small.speed_rpm == pytest.approx(whole.speed_rpm, rel=0.01) and small.output_hz == pytest.approx(
        whole.output_hz, abs=0.1
    )
    assert advance(machine, Settings(run=False), whole, 120.0).running_s == 0.0


def test_what_the_sensor_feels_at_rest_is_its_share_of_the_pressure_across() -> None:
    after = advance(FAN, RUN, State(), 120.0)
    across = float(FAN.load.at_motor_speed(after.speed_rpm).pressure)
    assert 0 < FAN.supply_share < 1 and after.felt_pa == pytest.approx(FAN.supply_share * across, rel=1e-3)
