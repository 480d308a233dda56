"""Healthy years raise no alarm, planted faults are found and named; services let begin anew what they should."""

from __future__ import annotations

from dataclasses import replace
from functools import cache
from typing import Any, ClassVar

import numpy as np
import pytest
from scipy.stats import chi2, theilslopes

from modest_rotor.core.drift.answer import drift_cause, drift_rail, drift_sentence, next_visit
from modest_rotor.core.drift.judge import CHI_SQUARED, Judgement, capacitor_trend, frozen_since, judge
from modest_rotor.core.drift.log import Event, EventKind, Log, Reference, resets
from modest_rotor.core.drift.simulated import Fault, simulated_year
from modest_rotor.core.identify.causes import Solved, solve_causes
from modest_rotor.core.identify.perturb import Change, Setup
from modest_rotor.core.outcome import Waiting
from modest_rotor.core.phrase import plain
from modest_rotor.core.physics.electronic import Command, ElectronicMotor
from modest_rotor.core.physics.supply import Supply
from tests.machines import BLOWER, blower_load, fitted, rated

pytestmark = pytest.mark.slow

CAPACITOR_MOTOR = Setup(fitted(BLOWER).motor, rated(BLOWER), blower_load())
SPEED_HELD = Setup(ElectronicMotor(560.0, 1100.0), Supply(230.0, 60.0), blower_load(), Command.SPEED, 1075.0)
AIR_HELD = Setup(ElectronicMotor(560.0, 1100.0), Supply(230.0, 60.0), blower_load(), Command.AIRFLOW, 0.6)
MACHINES = {"capacitor motor": CAPACITOR_MOTOR, "speed held": SPEED_HELD, "air held": AIR_HELD}


@cache
def solved(name: str) -> tuple[Solved, ...]:
    """Every cause put into a machine, worked out once."""
    return solve_causes(MACHINES[name], "fan", belted=False)


LOADED = Fault(Change.FILTER_LOADED, 1.5)


@pytest.mark.parametrize("name", MACHINES)
def test_eight_healthy_years_raise_no_alarm(name: str) -> None:
    """One in a thousand is the aim; benchmarks/drift.py counts on many more. Simulated machines."""
    for seed in range(8):
        judged = judge(simulated_year(MACHINES[name], np.random.default_rng(seed)), (), None, True)
        assert isinstance(judged, Judgement) and not judged.drifts


@pytest.mark.parametrize("name", MACHINES)
@pytest.mark.parametrize(
    ("fault", "cause"),
    [
        (LOADED, "filter or coil loaded"),
        (Fault(Change.TIGHTER, 1.6), "duct too tight"),
        (Fault(Change.FOULED, 0.85), "wheel fouled"),
        (Fault(Change.VOLTS_LOW, 0.9), "volts low"),
    ],
    ids=lambda value: value if isinstance(value, str) else "",
)
def test_a_planted_fault_is_found_and_its_cause_stands_first_or_second(name: str, fault: Fault, cause: str) -> None:
    setup = MACHINES[name]
    judged = judge(simulated_year(setup, np.random.default_rng(4), fault), (), solved(name), True)
    assert isinstance(judged, Judgement) and judged.drifts
    assert cause in [weighed.cause.name for weighed in judged.causes[:2]]
    assert judged.since is not None and judged.since > 0


def test_a_weak_capacitor_is_told_from_a_loaded_filter() -> None:
    fault = Fault(Change.CAPACITOR_WEAK, 0.7)
    judged = judge(
        simulated_year(CAPACITOR_MOTOR, np.random.default_rng(1), fault), (), solved("capacitor motor"), True
    )
    assert isinstance(judged, Judgement) and judged.causes[0].cause.name.code == "table-causes-cause-run-capacitor-weak"


def test_which_way_the_readings_move_depends_on_motor_and_command() -> None:
    """A loading filter: a speed-held blower takes less, one that holds its air takes more. Common practice, no source."""
    levels = {}
    for name in ("speed held", "air held"):
        judged = judge(simulated_year(MACHINES[name], np.random.default_rng(2), LOADED), (), None, True)
        assert isinstance(judged, Judgement)
        levels[name] = {str(one.measurand): one.level for one in judged.trends}
    assert levels["speed held"]["watts"] < -0.03 < 0.03 < levels["air held"]["watts"]
    assert abs(levels["air held"]["flow"]) < 0.03


def test_a_changed_filter_lets_the_judgement_begin_anew() -> None:
    log = simulated_year(SPEED_HELD, np.random.default_rng(4), LOADED)
    before = judge(log, (), None, True)
    after = judge(replace(log, events=(Event(float(log.days[-1]) - 1, EventKind.FILTER),)), (), None, True)
    assert isinstance(before, Judgement) and before.drifts
    assert after == Waiting("waits for 5 readings since the last service")
    other = judge(replace(log, events=(Event(float(log.days[-1]) - 1, EventKind.CAPACITOR),)), (), None, True)
    assert isinstance(other, Judgement) and other.drifts, "a new capacitor says nothing of the filter"


def test_few_readings_of_other_meters_are_held_against_the_sign_off() -> None:
    days = np.arange(6.0) * 30
    columns = {"input_power": np.full(6, 430.0), "airflow": np.full(6, 0.6)}
    log = Log(days, ("full",) * 6, ("visit",) * 6, columns)
    same = Reference(
        setting="full", values={"input_power": 431.0, "airflow": 0.605}, uncertainties={"airflow": 0.04}, day=None
    )
    far = same.model_copy(update={"values": {"input_power": 520.0, "airflow": 0.8}})
    for reference, drifts in ((same, False), (far, True)):
        judged = judge(log, (reference,), None, True)
        assert isinstance(judged, Judgement) and judged.drifts is drifts


def test_too_few_readings_wait_in_words() -> None:
    log = Log(np.arange(3.0), ("full",) * 3, ("x",) * 3, {"current": np.ones(3)})
    assert judge(log, (), None, True) == Waiting("waits for 5 readings on one setting")


def test_a_frozen_meter_is_not_a_healthy_machine() -> None:
    log = simulated_year(SPEED_HELD, np.random.default_rng(4), readings=60)
    assert frozen_since(log) is None
    stuck = {name: np.concatenate([column[:40], np.full(20, column[39])]) for name, column in log.columns.items()}
    assert frozen_since(replace(log, columns=stuck)) == pytest.approx(float(log.days[39]))


def test_the_capacitor_leaves_its_tolerance_where_its_line_crosses_it() -> None:
    """By hand: 10 µF loses 0.1 µF a year from 9.9; at 6 % it leaves at 9.4, five years after the first reading."""
    years = np.array([0.0, 1.0, 2.0, 3.0])
    log = Log(years * 365.25, ("x",) * 4, ("v",) * 4, {"capacitance": (9.9 - 0.1 * years) * 1e-6})
    found = capacitor_trend(log, 10e-6, 0.06)
    assert found is not None and not found.is_out
    assert found.slope_a_year == pytest.approx(-0.01)
    assert found.leaves[1] == pytest.approx(5 * 365.25)
    assert found.slope_uncertainty == pytest.approx(0, abs=1e-9), "four readings on one line leave no uncertainty"
    anew = replace(log, events=(Event(2.5 * 365.25, EventKind.CAPACITOR),))
    assert capacitor_trend(anew, 10e-6, 0.06) is None
    # A reading at the very time of the change is the new capacitor's: with it there are four, without it three.
    at_once = replace(log, events=(Event(0.0, EventKind.CAPACITOR),))
    assert capacitor_trend(at_once, 10e-6, 0.06) == found
    assert capacitor_trend(replace(log, events=(Event(0.5, EventKind.CAPACITOR),)), 10e-6, 0.06) is None
    assert capacitor_trend(replace(log, columns={"capacitance": np.full(4, 9.2e-6)}), 10e-6, 0.06).is_out  # type: ignore[union-attr]


@pytest.mark.parametrize("count", [0, 1, 2, 3])
def test_a_few_capacitor_readings_raise_no_alarm(count: int) -> None:
    """Three points and one wild one make any slope: nothing is said before the fourth (our judgement, no source)."""
    values = np.array([9.9, 9.0, 8.0])[:count] * 1e-6
    log = Log(np.arange(count) * 180.0, ("x",) * count, ("v",) * count, {"capacitance": values})
    assert capacitor_trend(log, 10e-6, 0.06) is None
    at_once = Log(np.full(4, 180.0), ("x",) * 4, ("v",) * 4, {"capacitance": np.array([9.9, 9.0, 8.0, 7.5]) * 1e-6})
    assert capacitor_trend(at_once, 10e-6, 0.06) is None, "four of one day make no line"
    four = Log(np.arange(4) * 180.0, ("x",) * 4, ("v",) * 4, {"capacitance": np.array([9.9, 9.0, 8.0, 7.5]) * 1e-6})
    assert capacitor_trend(four, 10e-6, 0.06).is_out  # type: ignore[union-attr]


def test_every_kind_of_service_resets_what_the_table_says() -> None:
    assert {kind: resets(kind) for kind in EventKind} == {
        EventKind.FILTER: "air", EventKind.BELT: "air", EventKind.CAPACITOR: "capacitor", EventKind.BEARINGS: "air",
        EventKind.CLEANING: "air", EventKind.SETTING: "air", EventKind.OTHER: "",
    }  # fmt: skip


def test_a_cause_is_told_in_the_terms_of_its_machine() -> None:
    """The same drift on a pump: an impeller is worn or fouled there, no wheel."""
    fault = Fault(Change.FOULED, 0.8)
    judged = judge(simulated_year(SPEED_HELD, np.random.default_rng(4), fault), (), solved("speed held"), True)
    assert isinstance(judged, Judgement)
    place = next(
        place
        for place, weighed in enumerate(judged.causes)
        if weighed.cause.name.code == "table-causes-cause-wheel-fouled"
    )
    first = replace(judged, causes=judged.causes[place:])
    for word, name in (("fan", "wheel fouled"), ("pump", "impeller worn or fouled")):
        told = (plain(drift_sentence(first, "", word)), plain(drift_rail(first, 365, None, word)))
        assert all(name in one for one in told)
        assert drift_cause(first.causes[0], word).cause == name
        assert name in plain(next_visit(first, None, (), 20_000.0, word)[1])


class Looked(tuple[float, ...]):
    """A table that notes at which places it was looked up."""

    places: ClassVar[list[int]] = []

    def __getitem__(self, place: Any) -> Any:
        self.places.append(place)
        return super().__getitem__(place)


def test_the_limits_are_those_of_chi_squared_and_each_count_of_readings_has_its_own(
    monkeypatch: pytest.MonkeyPatch,
) -> None:
    """One healthy machine in a thousand exceeds them. Reference: SciPy's chi-squared distribution, to the two decimals of the table."""
    assert chi2.ppf(0.999, np.arange(1, 9)) == pytest.approx(CHI_SQUARED, abs=0.006)
    looked = Looked(CHI_SQUARED)
    monkeypatch.setattr("modest_rotor.core.drift.judge.CHI_SQUARED", looked)
    days = np.arange(8.0) * 30
    every = {"input_power": 430.0, "airflow": 0.6, "static": 180.0, "speed": 1075.0, "current": 2.4}
    for count in range(1, len(every) + 1):
        columns = {
            name: np.full(8, every[name] * (1.3 if name == "input_power" else 1.0)) for name in list(every)[:count]
        }
        reference = Reference(setting="full", values=every, uncertainties={}, day=None)
        judged = judge(Log(days, ("full",) * 8, ("visit",) * 8, columns), (reference,), None, True)
        # a flow of six tenths of a m³/s is a reading like any other
        assert isinstance(judged, Judgement) and len(judged.trends) == count and judged.drifts
    assert looked.places == [0, 1, 2, 3, 4]


def test_a_level_is_that_of_the_line_at_the_last_reading() -> None:
    judged = judge(simulated_year(SPEED_HELD, np.random.default_rng(4), LOADED), (), None, True)
    assert isinstance(judged, Judgement) and judged.trends
    for one in judged.trends:
        assert one.level == pytest.approx(one.trend.at(one.days[1]), abs=1e-12)


@pytest.mark.parametrize(("uncertainty", "drifts"), [(0.02, True), (0.30, False)])
def test_a_few_readings_are_held_against_the_sign_off_as_surely_as_that_was_read(
    uncertainty: float, drifts: bool
) -> None:
    """Watts 8 % under the sign-off: plain where that was good for 2 %, nothing where it was good for 30 %."""
    watts = 400.0 * np.exp(0.002 * np.sin(np.arange(10.0)))
    log = Log(np.arange(10.0) * 20, ("full",) * 10, ("visit",) * 10, {"input_power": 0.92 * watts})
    reference = Reference(
        setting="full", values={"input_power": 400.0}, uncertainties={"input_power": uncertainty * 400.0}, day=None
    )
    judged = judge(log, (reference,), None, True)
    assert isinstance(judged, Judgement) and judged.drifts is drifts


def test_the_uncertainty_of_a_capacitor_s_slope_is_half_of_scipy_s_interval() -> None:
    """``scipy.stats.theilslopes`` at 95 %, a year of 365.25 days."""
    days = np.arange(9) * 150.0
    values = np.array([9.95, 9.90, 9.93, 9.84, 9.86, 9.79, 9.80, 9.72, 9.75]) * 1e-6
    found = capacitor_trend(Log(days, ("x",) * 9, ("v",) * 9, {"capacitance": values}), 10e-6, 0.06)
    line = theilslopes(values / 10e-6, days, 0.95)
    assert found is not None and found.slope_a_year == pytest.approx(line.slope * 365.25)
    assert (
        found.slope_uncertainty == pytest.approx((line.high_slope - line.low_slope) / 2 * 365.25)
        and found.slope_uncertainty > 0
    )
