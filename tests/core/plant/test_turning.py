"""The one simulator in time, against what is solved in closed form and by SciPy."""

from __future__ import annotations

import math
from dataclasses import dataclass

import pytest
from scipy.integrate import solve_ivp

from modest_rotor.core.physics.loop import Memory
from modest_rotor.core.plant.turning import LONGEST_S, Ramp, State, advance

INERTIA, DRIVEN, TOP_RPM = 0.2, 12.0, 1500.0
RAD_S = math.pi / 30
NO_RAMP = Ramp(0.0, 0.0)


@dataclass(frozen=True)
class Flywheel:
    """A shaft under a steady torque, with drag in proportion to its speed; its sensor feels a pressure that stands."""

    drag: float = 0.0
    runs: bool = True
    leads: Ramp | None = None
    hertz: Ramp = NO_RAMP
    lag_s: float | None = None
    waits_until_s: float = 0.0
    inertia_kgm2: float = INERTIA

    @property
    def speed_ramp(self) -> Ramp | None:
        return self.leads

    @property
    def sensor_lag_s(self) -> float | None:
        return self.lag_s

    def hertz_ramp(self, state: State, seconds: float) -> tuple[Ramp, Memory]:
        later = state.running_s < self.waits_until_s
        return (Ramp(0.0, 0.0) if later else self.hertz), state.memory

    def torque_nm(self, speed_rpm: float, output_hz: float) -> float:
        return (DRIVEN if self.runs else 0.0) - self.drag * speed_rpm * RAD_S

    def sensor_pa(self, speed_rpm: float) -> float:
        return 200.0

    def is_settled(self, state: State) -> bool:
        return state.running_s >= self.waits_until_s


@pytest.mark.parametrize("seconds", [0.001, 0.02, 0.5, 3.0, 7.77])
def test_a_steady_torque_speeds_a_shaft_up_steadily(seconds: float) -> None:
    """Newton: ω = T t ÷ J."""
    after = advance(Flywheel(), State(), seconds)
    assert after.speed_rpm * RAD_S == pytest.approx(DRIVEN / INERTIA * seconds)
    assert after.running_s == pytest.approx(seconds)


def test_drag_in_proportion_to_speed_ends_in_an_exponential() -> None:
    """Newton: ω = T ÷ c (1 − e^(−c t ÷ J)); explicit steps of 4 ms against a time constant of 2 s are right to a tenth of a per cent."""
    drag = 0.1
    for seconds in (0.5, 2.0, 6.0):
        expected = DRIVEN / drag * (1 - math.exp(-drag * seconds / INERTIA)) / RAD_S
        assert advance(Flywheel(drag), State(), seconds).speed_rpm == pytest.approx(expected, rel=1e-3)
    # Followed until it moves by less than 0.0001 rpm in 0.02 s: 0.01 rpm before the end.
    assert advance(Flywheel(drag), State(), LONGEST_S).speed_rpm == pytest.approx(DRIVEN / drag / RAD_S, abs=0.011)


def test_a_shaft_is_braked_to_a_stand_and_never_turned_back() -> None:
    after = advance(Flywheel(drag=0.4, runs=False), State(speed_rpm=TOP_RPM, running_s=9.0), 60.0)
    assert 0 <= after.speed_rpm < 0.01 and after.running_s == 0.0


def test_torque_that_falls_with_the_square_is_followed_as_scipy_follows_it() -> None:
    """Reference: ``scipy.integrate.solve_ivp`` (RK45, 1e-9) of J dω/dt = T − k ω² on the same wheel."""
    at_top = DRIVEN / (TOP_RPM * RAD_S) ** 2

    class Fan(Flywheel):
        def torque_nm(self, speed_rpm: float, output_hz: float) -> float:
            return DRIVEN - at_top * (speed_rpm * RAD_S) ** 2

    times = [0.3, 1.0, 2.5, 5.0]
    solved = solve_ivp(
        lambda _, w: (DRIVEN - at_top * w**2) / INERTIA, (0.0, 5.0), [0.0], t_eval=times, rtol=1e-9, atol=1e-9
    )
    for seconds, speed in zip(times, solved.y[0] / RAD_S, strict=True):
        assert advance(Fan(), State(), seconds).speed_rpm == pytest.approx(speed, rel=2e-3)


def test_ramps_go_at_their_rate_and_end_at_their_goal() -> None:
    machine = Flywheel(leads=Ramp(900.0, 150.0), hertz=Ramp(40.0, 8.0))
    after = advance(machine, State(), 3.0)
    assert after.speed_rpm == pytest.approx(450.0) and after.output_hz == pytest.approx(24.0)
    after = advance(machine, after, 60.0)
    assert (after.speed_rpm, after.output_hz) == (900.0, 40.0) and after.running_s == pytest.approx(63.0)
    down = advance(Flywheel(leads=Ramp(0.0, 150.0), runs=False), after, 2.0)
    assert down.speed_rpm == pytest.approx(600.0)


@pytest.mark.parametrize("seconds", [0.4, 1.6, 5.0])
def test_a_sensor_behind_two_equal_lags_follows_a_step(seconds: float) -> None:
    """Two lags of first order in a row: 1 − (1 + t ÷ T) e^(−t ÷ T), Laplace transform, textbooks; looks of 20 ms come one late."""
    lag = 0.8
    felt = advance(Flywheel(lag_s=lag), State(), seconds).felt_pa
    share = 1 - (1 + seconds / lag) * math.exp(-seconds / lag)
    assert felt == pytest.approx(200.0 * share, abs=200.0 * 0.02 / lag)


def test_a_goal_that_changes_with_time_alone_is_waited_for_though_nothing_moves() -> None:
    machine = Flywheel(leads=Ramp(0.0, 1.0), hertz=Ramp(30.0, 10.0), waits_until_s=4.0)
    assert advance(machine, State(), 3.9).output_hz == 0.0
    assert advance(machine, State(), 5.0).output_hz == pytest.approx(10.0, abs=0.3)


def test_time_that_is_none_or_too_long_is_bounded() -> None:
    assert advance(Flywheel(), State(), 0.0) == State() == advance(Flywheel(), State(), -1.0)
    drifting = Flywheel(leads=Ramp(1e9, 1.0))
    assert advance(drifting, State(), 1e6).speed_rpm == pytest.approx(LONGEST_S)
