"""A closed loop: tuning rules against their paper and against SciPy's frequency response, step tests, hunting seen and calmed."""

from __future__ import annotations

import math

import numpy as np
import pytest
from scipy.optimize import brentq

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import Array
from modest_rotor.core.physics.loop import (
    Controller,
    Gains,
    Hunting,
    Memory,
    Process,
    Swing,
    calmer,
    first_gains,
    followed,
    hunting_of,
    process_of_lags,
    process_of_step,
    swing_of,
    times_of_step,
)
from tests.said import refused_with

STEP_S = 0.02


def phase_and_size(process: Process, gains: Gains, omega: float) -> tuple[float, float]:
    """Of the open loop, by its own transfer function: K (1 + 1/(jωT)) · k e^(−jωθ) / (1 + jωτ)."""
    phase = -math.pi / 2 + math.atan(omega * gains.integral_s) - omega * process.dead_s
    size = gains.gain * process.gain * math.hypot(1, 1 / (omega * gains.integral_s))
    if process.integrates:
        return phase - math.pi / 2, size / omega
    return phase - math.atan(omega * process.lag_s), size / math.hypot(1, omega * process.lag_s)


def run(
    process: Process, controller: Controller, seconds: float, low: float = -5.0, high: float = 5.0
) -> tuple[Array, Array]:
    """A simulated loop after a step of the set point of one tenth; its process delayed by a queue, no equation of the rules."""
    value, memory, times, values = 0.0, Memory(), [], []
    waiting = [0.0] * max(1, round(process.dead_s / STEP_S))
    for index in range(round(seconds / STEP_S)):
        command, memory = controller.command(0.1 - value, memory, STEP_S)
        waiting.append(command)
        late = waiting.pop(0)
        value = value + process.gain * late * STEP_S if process.integrates else followed(value, process.gain * late, process.lag_s, STEP_S)  # fmt: skip
        times.append(index * STEP_S)
        values.append(value)
    return np.array(times), np.array(values)


FREE = {"low": -5.0, "high": 5.0}


def test_first_gains_are_those_of_the_paper() -> None:
    """S. Skogestad, J. Process Control 13 (2003), K = τ ÷ 2kθ and T the less of τ and 8θ; of an integrating one 1 ÷ 2k′θ and 8θ."""
    assert first_gains(Process(1.0, 1.0, 1.0)) == Gains(0.5, 1.0)
    assert first_gains(Process(1.0, 1.0, 20.0)) == Gains(10.0, 8.0)
    assert first_gains(Process(0.2, 2.0, math.inf, integrates=True)) == Gains(pytest.approx(1.25), 16.0)


def test_the_half_rule_is_that_of_the_paper() -> None:
    """The same paper, example E1, its times ten times as long: lags 10 and 2 give τ = 11 and θ = 1 (from memory)."""
    assert process_of_lags(1.0, [2.0, 10.0]) == Process(1.0, pytest.approx(1.0), 11.0)
    assert process_of_lags(1.0, [1.0, 20.0, 0.2]) == Process(1.0, pytest.approx(0.7), 20.5)
    with refused_with(OutsideValidity, "physics-loop-process-of-lags"):
        process_of_lags(1.0, [])


@pytest.mark.parametrize("lag", [1.0, 2.0, 5.0])
def test_first_gains_have_the_margins_that_the_paper_prints(lag: float) -> None:
    """The same paper, table 1: with T = τ and τ_c = θ the gain margin is 3.14 and the phase margin 61.4°."""
    process = Process(2.0, 1.0, lag)
    gains = first_gains(process)
    turn = brentq(lambda w: phase_and_size(process, gains, w)[0] + math.pi, 0.1, 3.0)
    assert 1 / phase_and_size(process, gains, turn)[1] == pytest.approx(3.14, abs=0.01)
    crossing = brentq(lambda w: phase_and_size(process, gains, w)[1] - 1, 0.01, 3.0)
    assert math.degrees(phase_and_size(process, gains, crossing)[0]) + 180 == pytest.approx(61.4, abs=0.2)


@pytest.mark.parametrize(
    "process", [Process(0.8, 1.0, 2.0), Process(2.5, 3.0, 6.0), Process(0.3, 2.0, 30.0), Process(0.05, 2.0, math.inf, integrates=True)]
)  # fmt: skip
def test_a_loop_with_first_gains_settles_and_still_does_when_it_answers_twice_as_strongly(process: Process) -> None:
    gains = first_gains(process)
    for stronger in (1.0, 2.0):
        real = Process(stronger * process.gain, process.dead_s, process.lag_s, process.integrates)
        _, values = run(real, Controller(gains, **FREE), 60 * process.dead_s)
        assert (
            values[-1] == pytest.approx(0.1, rel=0.1) and float(values.max()) < 0.18
        )  # a level overshoots by 30 %, by 72 at twice the gain


def test_a_step_is_read_as_what_it_was() -> None:
    process, times = Process(0.6, 2.0, 7.0), np.arange(0, 60, 0.1)
    values = np.array([0.0 if t < 2 else 0.06 * (1 - math.exp(-(t - 2) / 7)) for t in times])
    began, two_thirds = times_of_step(times, values)
    assert (began, two_thirds) == (pytest.approx(2.0, abs=0.2), pytest.approx(9.0, abs=0.1))
    found = process_of_step(values[-1], 0.1, began, two_thirds)
    assert found.gain == pytest.approx(process.gain, rel=0.01) and found.lag_s == pytest.approx(7.0, rel=0.05)


def test_a_step_of_two_lags_is_read_near_the_half_rule() -> None:
    """Two lags of 2 s and 1 s in a row: the half rule makes of them 2.5 s after 0.5 s."""
    times = np.arange(0, 30, 0.05)
    values = 1 - 2 * np.exp(-times / 2) + np.exp(-times / 1)
    began, two_thirds = times_of_step(times, values)
    assert began == pytest.approx(0.5, abs=0.3) and two_thirds - began == pytest.approx(2.5, abs=0.4)


@pytest.mark.parametrize(
    ("values", "words"),
    [([0.0] * 5, "ten values"), ([1.0] * 40, "Nothing moved"), ([0.0, 1.0] * 20, "Nothing moved")],
)
def test_a_step_that_is_none_is_refused(values: list[float], words: str) -> None:
    with pytest.raises(OutsideValidity, match=words):
        times_of_step(np.arange(len(values), dtype=float), np.array(values))


@pytest.mark.parametrize(
    ("moved", "commanded", "began", "two_thirds", "words"),
    [(0.1, 0.0, 1, 2, "command did not move"), (0.0, 0.1, 1, 2, "Nothing moved"), (0.1, 0.1, 2, 2, "begins to move before"), (0.1, 0.1, -1, 2, "begins")],
)  # fmt: skip
def test_a_step_typed_wrong_is_refused_in_words(
    moved: float, commanded: float, began: float, two_thirds: float, words: str
) -> None:
    with pytest.raises(OutsideValidity, match=words):
        process_of_step(moved, commanded, began, two_thirds)


def test_no_gain_holds_what_does_not_follow() -> None:
    with refused_with(OutsideValidity, "physics-loop-first-gains"):
        first_gains(Process(0.0, 1.0, 5.0))


def ultimate(process: Process) -> tuple[float, float]:
    """Gain and period at which a loop without integral part swings for good, by its phase alone."""
    omega = brentq(
        lambda w: -w * process.dead_s - math.atan(w * process.lag_s) + math.pi, 1e-3, math.pi / process.dead_s
    )
    return math.hypot(1, omega * process.lag_s) / process.gain, 2 * math.pi / omega


@pytest.mark.parametrize("process", [Process(1.0, 1.0, 5.0), Process(0.4, 2.0, 6.0), Process(3.0, 0.5, 10.0)])
def test_hunting_is_seen_with_its_beat_and_calmed(process: Process) -> None:
    """At the ultimate gain, found from the phase alone, it swings for good; the gains that follow settle it."""
    gain, period = ultimate(process)
    wild = Gains(gain, 1e6)
    times, values = run(process, Controller(wild, **FREE), 25 * period)
    seen = hunting_of(times, values, 1e-4)
    assert seen.swing is Swing.HUNTS and seen.period_s == pytest.approx(period, rel=0.03)
    calm = calmer(Gains(gain, 2.0), seen)
    assert calm.gain == pytest.approx(gain / 3.2) and calm.integral_s == pytest.approx(2.2 * seen.period_s, rel=1e-6)
    times, values = run(process, Controller(calm, **FREE), 25 * period)
    assert hunting_of(times, values, 2e-3).swing in (Swing.QUIET, Swing.DIES_AWAY)
    assert values[-1] == pytest.approx(0.1, rel=0.05)


def test_a_swing_between_is_called_lively_and_halved() -> None:
    process = Process(1.0, 1.0, 5.0)
    gain, _ = ultimate(process)
    lively = Gains(0.75 * gain, 8.0)
    times, values = run(process, Controller(lively, **FREE), 60)
    seen = hunting_of(times, values, 1e-4)
    assert seen.swing is Swing.LIVELY and seen.period_s is not None
    assert calmer(lively, seen).gain == pytest.approx(lively.gain / 2)
    times, values = run(process, Controller(calmer(lively, seen), **FREE), 80)
    assert hunting_of(times, values, 2e-3).swing in (Swing.QUIET, Swing.DIES_AWAY)


@pytest.mark.parametrize(
    ("decay", "swing"), [(0.25, Swing.DIES_AWAY), (0.6, Swing.LIVELY), (0.97, Swing.HUNTS), (1.3, Swing.HUNTS)]
)
def test_swings_are_called_by_their_decay(decay: float, swing: Swing) -> None:
    """A quarter is the decay that Ziegler and Nichols (1942) aim at: as lively as a good loop may be."""
    times = np.arange(0, 60, 0.05)
    values = 5 + np.exp(math.log(decay) * times / 6) * np.cos(2 * math.pi * times / 6)
    seen = hunting_of(times, values, 1e-4)
    assert seen.swing is swing and seen.period_s == pytest.approx(6.0, rel=0.08)
    assert swing_of(decay) is swing


def test_noise_is_no_hunting() -> None:
    rng = np.random.default_rng(3)
    times = np.arange(0, 60, 0.2)
    assert hunting_of(times, 100 + 0.3 * rng.standard_normal(len(times)), 0.3).swing is Swing.QUIET
    assert calmer(Gains(2.0, 5.0), Hunting(Swing.QUIET)) == Gains(2.0, 5.0)


def test_a_controller_at_its_end_lets_go_at_once() -> None:
    """Without anti-windup the command would stay at its end for as long as the error stood."""
    controller, memory = Controller(Gains(1.0, 1.0), low=0.2, high=0.8), Memory(0.5)
    for _ in range(1000):
        command, memory = controller.command(0.5, memory, 0.1)
    assert command == 0.8 and memory.integral <= 0.8
    command, _ = controller.command(-0.1, memory, 0.1)
    assert command < 0.8


def test_the_direction_decides_which_way_the_command_goes() -> None:
    up, _ = Controller(Gains(1.0, 1e9)).command(0.1, Memory(0.5), 0.1)
    down, _ = Controller(Gains(1.0, 1e9), raises=False).command(0.1, Memory(0.5), 0.1)
    assert up == pytest.approx(0.6) and down == pytest.approx(0.4)


@pytest.mark.parametrize(
    "seen", [Hunting(Swing.QUIET, 8.0), Hunting(Swing.DIES_AWAY, 8.0), Hunting(Swing.HUNTS), Hunting(Swing.LIVELY)]
)
def test_gains_are_left_where_nothing_swings_on_or_no_period_was_seen(seen: Hunting) -> None:
    assert calmer(Gains(2.0, 5.0), seen) == Gains(2.0, 5.0)
