"""The loop that Set-up answers: set point, what steps run at while it is held, gains by kind, order of its steps, what must not be closed."""

from __future__ import annotations

from typing import Any

import pytest

from modest_rotor.core.phrase import plain
from modest_rotor.core.setup.answer import SetupAnswer
from modest_rotor.core.setup.loop import LoopAnswer
from modest_rotor.core.setup.steps import StepGroup
from modest_rotor.core.stations.loop import OnFailure
from tests.core.setup.test_setup_answer import HALL, WAITING
from tests.jobs import assessed, changed
from tests.said import codes_of

DUCT = {"holds": "a duct's static", "place": "two thirds along", "left": "30 %", "pressure": {"span": "500 Pa"}}
STEPPED = {"hertz_before": "45 Hz", "hertz_after": "50 Hz", "began": "1 s", "two_thirds": "4 s"}


def setup(data: dict[str, Any] = HALL, **loop: Any) -> SetupAnswer:
    return assessed(changed(data, setup__loop={**DUCT, **loop})).setup


def loop(data: dict[str, Any] = HALL, **said: Any) -> LoopAnswer:
    found = setup(data, **said).loop
    assert found is not None
    return found


def test_the_set_point_is_what_the_sensor_reads_at_full_flow() -> None:
    """388 Pa across and 30 % of it left: 116.4 Pa; a typed one stands for itself."""
    figure = loop().set_point.figure
    assert figure is not None and figure.value == pytest.approx(0.3 * 388)
    typed = loop(pressure={"span": "500 Pa", "set_point": "90 Pa"}).set_point.figure
    assert typed is not None and typed.value == 90
    assert loop(left=None, place=None).set_point.figure is None


def test_held_pressure_keeps_a_part_load_faster_than_a_free_duct_and_shut_outlets_are_told() -> None:
    """By hand: at 60 % of the flow the fan makes the set point and (0.6)^1.9 of the rest; with nothing held (0.6)^1.9 of all."""
    found = loop()
    full, part = found.rows
    assert full.command.value == pytest.approx(full.free.value, rel=0.01)
    assert part.command.value > part.free.value * 1.05
    held, free = 116.4 + 0.7 * 388 * 0.6**1.9, 388 * 0.6**1.9
    # On a flat curve speed goes with the root of pressure; a falling one asks for less, so the ratio lies between it and one.
    assert 1 < part.command.value / part.free.value < (held / free) ** 0.5 * 1.02
    assert found.least is not None and found.low.value <= found.least.value < part.command.value
    nearer, farther = (loop(left=left).rows[1].command.value for left in ("60 %", "10 %"))
    assert farther < part.command.value < nearer


def test_the_saving_that_duty_reckons_without_the_held_pressure_is_told() -> None:
    assert any("loop-words-loop-sentences-duty-reckons" in codes_of(one) for one in loop().sentences)
    kept = changed(HALL, duty__static_pressure_set_point="116 Pa")
    assert not any("loop-words-loop-sentences-duty-reckons" in codes_of(one) for one in loop(kept).sentences)


def test_the_value_follows_by_the_slope_of_fan_and_duct_or_by_the_step_that_was_read() -> None:
    """Fan laws: pressure goes as speed squared, so at full its slope is twice the value, 2 × 116.4 ÷ 500 of the range."""
    figure = loop().process.figure
    assert figure is not None and figure.value == pytest.approx(2 * 0.3 * 388 / 500, rel=0.03)
    assert loop().dead is not None and loop().dead.basis == "assumed"  # type: ignore[union-attr]
    read = loop(**STEPPED, pressure={"span": "500 Pa", "before": "100 Pa", "after": "125 Pa"})
    assert read.process.figure is not None and read.process.figure.value == pytest.approx((25 / 500) / (5 / 50))
    assert read.gain.figure is not None and read.gain.figure.value == pytest.approx(3 / (0.5 * 2 * 1))
    assert read.integral.figure is not None and read.integral.figure.value == pytest.approx(3.0)
    assert read.lag is not None and read.lag.basis == "measured"


@pytest.mark.parametrize(
    ("said", "words"),
    [
        ({"pressure": {}}, "waits for the sensor’s range"),
        ({**STEPPED, "hertz_after": "45.5 Hz", "pressure": {"span": "500 Pa", "before": "100 Pa", "after": "125 Pa"}}, "less than 3 %"),
        ({**STEPPED, "pressure": {"span": "500 Pa", "before": "100 Pa", "after": "101 Pa"}}, "less than 3 %"),
        ({**STEPPED, "began": "6 s", "pressure": {"span": "500 Pa", "before": "100 Pa", "after": "125 Pa"}}, "begins to move before"),
        ({"holds": "a space temperature", "temperature": {"span": "30 K"}}, "step test"),
        ({"holds": "a level", "level": {"span": "2 m"}, "raises": "raises it"}, "surface of the tank"),
        ({"holds": "a level", "level": {"span": "2 m"}, "tank_area": "4 m²"}, "what more speed does"),
        ({"holds": "a coil's temperature difference", "difference": {"span": "20 K"}}, "set point"),
    ],
)  # fmt: skip
def test_what_is_missing_or_cannot_be_read_is_named(said: dict[str, Any], words: str) -> None:
    found = loop(**said)
    assert found.process.waits is not None and words in plain(found.process.waits)
    assert found.gain.figure is None and found.integral.figure is None


def test_a_coil_is_direct_acting_and_a_level_integrates() -> None:
    """A coil's difference goes as one over the flow: twice the flow, half the difference. A level moves by flow over surface."""
    coil = loop(holds="a coil's temperature difference", difference={"span": "20 K", "set_point": "8 K"})
    assert "loop-words-direction-of-direct-acting" in codes_of(coil.direction)
    assert coil.process.figure is not None and coil.process.figure.value == pytest.approx(8 / 20, rel=0.01)
    level = loop(holds="a level", raises="lowers it", tank_area="6 m²", level={"span": "2 m", "set_point": "1 m"})
    assert level.lag is None and "loop-words-direction-of-direct-acting" in codes_of(level.direction)
    assert level.process.figure is not None and level.process.figure.value == pytest.approx(2.1 / 6 / 2, rel=0.01)
    assert level.gain.figure is not None and level.integral.figure is not None
    dead = level.dead
    assert dead is not None and level.integral.figure.value == pytest.approx(8 * dead.value)


@pytest.mark.parametrize(
    ("tried", "gain", "integral", "words"),
    [
        ({"seen": "swings that go on", "period": "6 s"}, 10 / 3.2, 13.2, "It hunts"),
        ({"seen": "many swings that die away", "period": "6 s"}, 5, 6, "too lively"),
        ({"seen": "it settles without swinging"}, None, None, "So a loop should look"),
        ({"seen": "a swing or two, then still"}, None, None, "So a loop should look"),
        ({"seen": "swings that go on"}, None, None, "Time one whole swing"),
        ({"seen": "still on its way after minutes"}, None, None, "twice the first one"),
        ({"seen": "still on its way after minutes", "gain": "0.4"}, 0.6, 4, "crawls"),
        ({"seen": "swings that go on", "gain": None}, None, None, "as they are set"),
    ],
)
def test_what_is_set_next_follows_from_what_was_seen(
    tried: dict[str, Any], gain: float | None, integral: float | None, words: str
) -> None:
    """Tyreus and Luyben (1992): K ÷ 3.2 and 2.2 periods; the half is common practice."""
    found = loop(tries=[{"id": "t1", "gain": "10", "integral": "4 s", **tried}])
    assert words in plain(found.next_words)
    assert (found.next_gain.value if found.next_gain else None) == (pytest.approx(gain) if gain else None)
    assert (found.next_integral.value if found.next_integral else None) == (
        pytest.approx(integral) if integral else None
    )


def test_only_the_newest_gains_count() -> None:
    first = {"id": "t1", "gain": "10", "integral": "4 s", "seen": "swings that go on", "period": "6 s"}
    found = loop(tries=[first, {"id": "t2", "gain": "3", "integral": "13 s"}])
    assert found.next_gain is None and not found.is_restless and found.tried_gain is not None
    assert found.tried_gain.value == 3


def test_a_loop_that_would_run_away_or_never_get_there_is_a_stop() -> None:
    crossed = setup(**STEPPED, pressure={"span": "500 Pa", "before": "125 Pa", "after": "100 Pa"})
    assert crossed.loop is not None and "loop-words-loop-stop-step-test" in codes_of(crossed.loop.stop or "")
    assert any("loop-words-loop-stop-step-test" in codes_of(one) for one in crossed.stops)
    high = setup(pressure={"span": "200 Pa", "set_point": "250 Pa"})
    assert high.loop is not None and "loop-words-loop-stop-set-point" in codes_of(high.loop.stop or "")
    assert any(
        "loop-words-loop-sentences-more-sensor" in codes_of(one)
        for one in loop(pressure={"span": "500 Pa", "set_point": "300 Pa"}).sentences
    )


def test_the_steps_of_a_loop_are_there_only_with_one_and_stand_in_order() -> None:
    assert not any(step.group is StepGroup.LOOP for step in assessed(HALL).setup.steps)
    steps = {step.step: step for step in setup().steps}
    order = ["commands", "loop_sensor", "loop_gains", "loop_watch", "loop_fails", "loop_bypass", "loop_restart", "card"]
    numbers = [steps[name].number for name in order]
    assert numbers == sorted(numbers)
    assert steps["loop_restart"].number in steps["card"].after
    assert "setup-steps-gains-wait-waits-gain" in codes_of(
        steps["loop_gains"].waits or ""
    ) and "setup-steps-loop-waits-waits-what" in codes_of(steps["loop_fails"].waits or "")
    tried = setup(tries=[{"id": "t1", "gain": "1", "integral": "4 s", "seen": "swings that go on", "period": "5 s"}], on_failure="stops", restart="starts by itself")  # fmt: skip
    steps = {step.step: step for step in tried.steps}
    assert steps["loop_gains"].waits is None and "setup-steps-watch-waits-waits-gains" in codes_of(
        steps["loop_watch"].waits or ""
    )
    assert "loop-words-failure-words-full-speed" in codes_of(
        steps["loop_fails"].value
    ) and "loop-words-restart-words-starts-itself" in codes_of(steps["loop_restart"].value)


def test_a_loop_that_may_stop_a_protected_duty_says_so() -> None:
    protected = changed(HALL, call__protected="smoke control")
    found = loop(protected, on_failure="stops", restart="waits for a hand")
    assert any("loop-words-failure-words-duty-protected" in codes_of(one) for one in found.failure)
    assert any("loop-words-restart-words-duty-protected" in codes_of(one) for one in found.restart)


def test_what_holds_its_pressure_by_itself_or_knows_one_speed_is_offered_no_loop() -> None:
    signal = {"decision": {"chosen": "electronic"}, "options__fitting__command": "0-10 V"}
    assert setup(changed(WAITING, **signal)).loop is not None
    assert not setup(changed(WAITING, decision={"chosen": "electronic"})).can_hold  # by its dial
    for chosen in ("keep", "k4", "same"):
        kept = setup(changed(WAITING, decision={"chosen": chosen}))
        assert not kept.can_hold and kept.loop is None


@pytest.mark.parametrize("duty", [None, "no", "smoke control"])
@pytest.mark.parametrize("failure", [None, *OnFailure])
def test_what_a_failed_sensor_does_is_said_once_for_what_was_chosen(
    failure: OnFailure | None, duty: str | None
) -> None:
    """Of a protected duty no failed sensor may stop the machine; what stays at its speed asks for an alarm; no other says either."""
    told = loop(changed(HALL, call__protected=duty), raises="raises it", on_failure=failure).failure
    assert ("loop-words-failure-words-duty-protected" in codes_of(told)) == (
        failure is OnFailure.STOPS and duty == "smoke control"
    )
    assert ("loop-words-failure-words-stays-speed" in codes_of(told)) == (failure is OnFailure.STAYS)


@pytest.mark.parametrize("duty", [None, "smoke control"])
@pytest.mark.parametrize("restart", [None, "starts by itself", "waits for a hand"])
def test_what_it_does_when_power_comes_back_is_said_where_it_endangers(restart: str | None, duty: str | None) -> None:
    told = loop(changed(HALL, call__protected=duty), restart=restart).restart
    assert ("loop-words-restart-words-starts-itself" in codes_of(told)) == (restart == "starts by itself")
    assert ("loop-words-restart-words-duty-protected" in codes_of(told)) == (
        restart == "waits for a hand" and duty is not None
    )


def test_a_loop_that_must_not_be_closed_is_stopped_at_its_gains_and_nowhere_else() -> None:
    """A set point above the sensor's range."""
    answer = setup(pressure={"span": "500 Pa", "set_point": "600 Pa"})
    stopped = {one.step for one in answer.steps if one.stop}
    assert stopped == {"loop_gains"} and answer.loop is not None and answer.loop.stop
    assert not any(one.stop for one in setup(pressure={"span": "500 Pa", "set_point": "90 Pa"}).steps)


def test_the_command_at_full_flow_is_that_of_the_fullest_step() -> None:
    answer = setup()
    assert answer.loop is not None and answer.loop.at_full is not None
    fullest = max(one.command.value for one in answer.commands if one.command)
    assert answer.loop.at_full.value == pytest.approx(fullest, rel=0.01)


def test_the_share_left_at_the_sensor_is_measured_where_it_was_read_and_assumed_where_only_its_place_is_known() -> None:
    def basis(**said: Any) -> str:
        working = loop(**said).set_point.working
        assert working is not None
        return next(one.figure.basis for one in working.ingredients if one.symbol == "share")

    assert basis(left="30 %") == "measured" and basis(left=None) == "assumed"
