"""Flow by every method, together, and what would narrow it; the wanted flow."""

from __future__ import annotations

import pytest

from modest_rotor.core.assessment import Assessment
from modest_rotor.core.phrase import plain
from modest_rotor.core.stations.flow_together import FlowAnswer
from modest_rotor.core.stations.target import Target, air_factor, target_flow
from tests.core.stations.test_charts import CHART, TABLE
from tests.jobs import KRAUSE, assessed
from tests.machines import CFM
from tests.said import codes_of, says

pytestmark = pytest.mark.slow
BTUH = 0.29307107


def method(answer: Assessment, name: str, place: int = 0) -> FlowAnswer:
    return next(one for one in answer.sets[place].flows.methods if one.method == name)


def flow(answer: Assessment, name: str, place: int = 0) -> float:
    found = method(answer, name, place).flow.figure
    assert found is not None, method(answer, name, place).flow.waits
    return found.value


@pytest.mark.parametrize(
    ("heat", "efficiency", "rise", "expected"),
    # Common practice: cfm = output ÷ (1.08 ΔT): 80,000 Btu/h at 80 % and 50 °F, 1,185.2 cfm, with air of 0.075 lb/ft³ (70 °F).
    [("80,000 Btu/h", "80 %", 50.0, 1185.2)],
)
def test_gas_heat_rise(heat: str, efficiency: str, rise: float, expected: float) -> None:
    answer = assessed(
        KRAUSE, readings__0__fuel_heat=heat, readings__0__fuel_efficiency=efficiency, readings__0__entering="70 °F",
        readings__0__leaving=f"{70 + rise} °F", readings__0__airflow=None,
    )  # fmt: skip
    # 0.5 %: 1.08 is the rounded factor of standard air.
    assert flow(answer, "rise") == pytest.approx(expected * CFM, rel=5e-3)


def test_electric_heat_rise() -> None:
    # Common practice: 240 V, 20.8 A, 20 °F: 788.6 cfm by 3.412 W ÷ (1.08 ΔT); 0.5 % for the rounded factor.
    answer = assessed(
        KRAUSE, readings__0__heater_volts="240 V", readings__0__heater_amps="20.8 A", readings__0__entering="70 °F",
        readings__0__leaving="90 °F",
    )  # fmt: skip
    assert flow(answer, "rise") == pytest.approx(788.58 * CFM, rel=5e-3)


@pytest.mark.parametrize(
    ("feet", "factor"),
    # fluids and psychrolib: 1.08 × P/P0 at the same temperature.
    [(0, 1.08), (1000, 1.0415404), (2000, 1.0042009), (5000, 0.89865227), (5280, 0.88928014), (7500, 0.81774607)],
)
def test_sensible_factor_at_altitude(feet: float, factor: float) -> None:
    target = Target.model_validate({"altitude": f"{feet} ft"})
    per_cfm = air_factor(target, 21.1) * CFM / BTUH * 5 / 9
    # 0.4 %: 1.08 is rounded from 1.0776 at 70 °F.
    assert per_cfm == pytest.approx(factor, rel=4e-3)


@pytest.mark.parametrize(
    ("field", "said", "words"),
    [("coil_is_wet", "yes", "wet coil"), ("in_sight", "yes", "in sight"), ("running", "3 min", "not steady")],
)
def test_what_voids_a_temperature_rise(field: str, said: str, words: str) -> None:
    heater = {"heater_volts": "240 V", "heater_amps": "20.8 A", "entering": "70 °F", "leaving": "90 °F", field: said}
    answer = assessed(KRAUSE, **{f"readings__0__{name}": value for name, value in heater.items()})
    told = method(answer, "rise")
    assert words in told.reason and not told.trusted
    # Without another method nothing is told at all: a void method is no flow.
    alone = assessed(KRAUSE, **{f"readings__0__{name}": value for name, value in heater.items()}, readings__0__airflow=None, readings__0__supply_static=None, readings__0__return_static=None)  # fmt: skip
    assert alone.sets[0].flows.together.figure is None


def test_a_rough_way_counts_where_there_is_nothing_better_and_a_void_one_never() -> None:
    # 4 K is a small rise for two thermometers: rough. The same out of sight of the exchanger is void.
    rough = {"heater_volts": "240 V", "heater_amps": "20.8 A", "entering": "20 °C", "leaving": "24 °C"}
    bare = {"airflow": None, "supply_static": None, "return_static": None}
    for seen, counts in ((None, True), ("yes", False)):
        said = {**rough, **bare, "in_sight": seen}
        answer = assessed(KRAUSE, **{f"readings__0__{name}": value for name, value in said.items()})
        told = method(answer, "rise")
        assert told.flow.figure is not None and not told.trusted
        assert (answer.sets[0].flows.together.figure is not None) is counts


def test_the_chart_is_read_and_the_clamp_told() -> None:
    answer = assessed(
        KRAUSE, machine__type="forward-curved", charts={"amps_chart": CHART}, target={"airflow": "1,850 cfm"},
        readings__0__voltage="230 V", readings__0__current="4.2 A", readings__0__airflow=None,
    )  # fmt: skip
    assert flow(answer, "chart") == pytest.approx(1800 * CFM)
    clamp = plain(answer.sets[0].flows.clamp or ())
    assert "4.35 (current)" in clamp and ("open the plate" in clamp or says("flow-together-clamp-clamp-reads", clamp))


def test_the_table_adds_what_it_counts_as_external() -> None:
    job = {
        "charts": {"blower_table": TABLE, "blower_table_flow": "cfm", "counted_external": "filter and coil"},
        "readings__0__tap": "high tap", "readings__0__supply_static": "0.1 in. w.g.", "readings__0__return_static": "-0.1 in. w.g.",
        "readings__0__statics_hold": "filter",
    }  # fmt: skip
    void = method(assessed(KRAUSE, **job), "table")
    assert not void.trusted and "flow-ways-as-counted-table-counts" in codes_of(void.reason)
    # 0.2 between the taps with the filter's 0.3 added is 0.5 in. w.g.: 1,250 cfm on the high tap.
    whole = assessed(KRAUSE, **job, readings__0__filter_drop="0.3 in. w.g.")
    assert flow(whole, "table") == pytest.approx(1250 * CFM, rel=1e-3)


def test_ways_that_disagree_are_never_averaged_away() -> None:
    answer = assessed(
        KRAUSE, readings__0__heater_volts="240 V", readings__0__heater_amps="20.8 A", readings__0__entering="70 °F",
        readings__0__leaving="90 °F",
    )  # fmt: skip
    together = answer.sets[0].flows.together
    assert together.figure and together.working
    assert together.figure.value == pytest.approx(0.51)  # the measured flow, not a mean
    assert method(answer, "rise").disagrees and "flow-together-taken-together-taken-does" in codes_of(
        together.working.remarks[0]
    )
    alone = assessed(KRAUSE).sets[0].flows.together.figure
    assert alone and (together.figure.uncertainty or 0) > 1.5 * (alone.uncertainty or 0)


def test_ways_that_agree_narrow_each_other() -> None:
    # 510 L/s of air at 21 °C carry 614 W/K: 6.0 kW make 9.8 K.
    answer = assessed(
        KRAUSE, readings__0__heater_volts="230 V", readings__0__heater_amps="26.1 A", readings__0__entering="21 °C",
        readings__0__leaving="30.8 °C",
    )  # fmt: skip
    alone, both = assessed(KRAUSE).sets[0].flows.together.figure, answer.sets[0].flows.together.figure
    assert alone and both and (both.uncertainty or 1) < (alone.uncertainty or 0)


def test_affinity_from_a_known_point_on_the_same_system() -> None:
    slower = {**KRAUSE["document"]["readings"][0], "id": "s2", "speed": "1,539 rpm", "airflow": None, "supply_static": "105.3 Pa", "return_static": "-121.5 Pa"}  # type: ignore[index]  # fmt: skip
    answer = assessed(KRAUSE, readings=[KRAUSE["document"]["readings"][0], slower])  # type: ignore[index]
    # q ∝ n: 0.9 × 510 L/s (AMCA Publication 201); pressure went with n², so the system is the same.
    assert flow(answer, "affinity", 1) == pytest.approx(0.459, rel=1e-3)
    assert method(answer, "affinity", 1).trusted
    slower["supply_static"] = "200 Pa"
    other = assessed(KRAUSE, readings=[KRAUSE["document"]["readings"][0], slower])  # type: ignore[index]
    assert "flow-ways-other-system-pressure-does" in codes_of(method(other, "affinity", 1).reason)


@pytest.mark.parametrize(
    ("typed", "cfm"),
    # Common practice: 3 tons at 400 cfm and at 350 cfm; 800 cfm as typed; 12,000 ft³ six times an hour.
    [
        ({"cooling": "3 ton", "system": "ordinary cooling"}, 1200),
        ({"cooling": "3 ton", "system": "cooling in a humid climate"}, 1050),
        ({"airflow": "800 cfm", "cooling": "3 ton", "system": "ordinary cooling"}, 800),
        ({"volume": "12,000 ft³", "changes": "6"}, 1200),
    ],
)
def test_wanted_flow(typed: dict[str, str], cfm: float) -> None:
    wanted = target_flow(Target.model_validate(typed), None).figure
    assert wanted and wanted.value == pytest.approx(cfm * CFM, rel=1e-5)


def test_wanted_flow_from_heat() -> None:
    wanted = target_flow(Target.model_validate({"heat": "64,000 Btu/h", "rise": "35-65 °F"}), None).figure
    assert wanted and wanted.value == pytest.approx(64_000 / (1.08 * 50) * CFM, rel=1e-2)


def test_next_readings_say_what_they_narrow_and_how() -> None:
    answer = assessed(KRAUSE, readings__0__input_power=None, readings__0__airflow=None)
    told = answer.sets[0].flows.next
    assert 1 <= len(told) <= 3
    assert all((one.then.uncertainty or 0) < (one.now.uncertainty or 0) and one.caution and one.how for one in told)
    assert {"load", "flow"} >= {one.narrows for one in told}


def test_chopped_waveforms_are_kept_but_not_worked_with() -> None:
    driven = {"readings__0__point": "drive output", "readings__0__frequency": "60 Hz"}
    answer = assessed(KRAUSE, **driven, readings__0__meter="average-responding")
    assert len(answer.sets[0].withheld) == 3 and answer.sets[0].shaft_power.figure is None
    low_pass = assessed(KRAUSE, **driven, readings__0__meter="true-rms, low-pass")
    assert not low_pass.sets[0].withheld and low_pass.sets[0].shaft_power.figure
    assert len(assessed(KRAUSE, readings__0__point="drive input").sets[0].withheld) == 3
    unknown = assessed(KRAUSE, readings__0__point="drive output", readings__0__meter="true-rms, low-pass")
    assert unknown.sets[0].slip.figure is None  # nobody said at which hertz


def test_a_power_factor_that_was_read_stands_for_watts_but_never_on_an_electronic_motor() -> None:
    # 110 V × 3.19 A × 0.871 is the 305.8 W of the textbook point.
    answer = assessed(KRAUSE, readings__0__input_power=None, readings__0__power_factor="0.871")
    by_watts = next(one for one in answer.sets[0].methods if one.method == "fitted-watts")
    assert by_watts.load.figure
    electronic = assessed(
        KRAUSE, readings__0__input_power=None, readings__0__power_factor="0.871", nameplate__motor_kind="electronic"
    )
    assert electronic.sets[0].shaft_power.figure is None


def test_the_load_of_an_electronic_motor_comes_from_true_watts_and_speed() -> None:
    # Class IE4 less its electronics has 72 % at a quarter horse, so at its rating it takes some 258 W.
    plate = {
        "nameplate__motor_kind": "electronic",
        "nameplate__rated_speed": "1720 rpm",
        "nameplate__run_capacitance": None,
    }
    answer = assessed(KRAUSE, **plate, readings__0__input_power="258 W", readings__0__speed="1720 rpm")
    load = answer.sets[0].load.figure
    assert load and load.value == pytest.approx(1.0, abs=0.05)
    without = assessed(KRAUSE, **plate, readings__0__input_power="258 W", readings__0__speed=None)
    assert without.sets[0].load.figure is None


def test_own_meters_narrow_the_uncertainties() -> None:
    fine = assessed(KRAUSE, meters={"clamp_meter": "0.5 %", "voltmeter": "0.2 %", "wattmeter": "0.5 %"})
    usual = assessed(KRAUSE)
    assert fine.sets[0].uncertainties["current"] < usual.sets[0].uncertainties["current"] / 2


@pytest.mark.parametrize(
    ("amps", "words"),
    [
        ("3.7 A", "open the plate until the clamp reads that; the speed will fall as you do"),
        ("4.9 A", "close the plate until the clamp reads that; the speed will rise as you do"),
        ("4.35 A", "the clamp reads that now, within its error"),
    ],
)
def test_the_plate_goes_the_way_that_brings_the_amps_of_the_chart(amps: str, words: str) -> None:
    """A forward-curved blower takes more the more air it moves, and turns the slower for it. Common practice, no source."""
    answer = assessed(
        KRAUSE, machine__type="forward-curved", charts={"amps_chart": CHART}, target={"airflow": "1,850 cfm"},
        readings__0__voltage="230 V", readings__0__current=amps, readings__0__airflow=None,
    )  # fmt: skip
    assert words in plain(answer.sets[0].flows.clamp or ())


def test_a_table_of_one_column_needs_no_tap() -> None:
    """0.5 in. w.g. between the taps is 1,250 cfm, whatever the motor's tap is called."""
    answer = assessed(
        KRAUSE, charts={"blower_table": "in. w.g.\tHigh\n0.2\t1400\n0.5\t1250\n0.8\t1000", "blower_table_flow": "cfm"},
        readings__0__supply_static="0.25 in. w.g.", readings__0__return_static="-0.25 in. w.g.", readings__0__tap=None,
    )  # fmt: skip
    assert flow(answer, "table") == pytest.approx(1250 * CFM, rel=1e-3)


def test_ways_that_agree_are_weighed_by_their_uncertainties() -> None:
    """The mean by inverse variances, JCGM 100 (GUM) and any textbook of statistics; here of a hood and of a temperature rise."""
    rise = {"readings__0__heater_volts": "230 V", "readings__0__heater_amps": "26.1 A", "readings__0__entering": "21 °C", "readings__0__leaving": "30.6 °C"}  # fmt: skip
    flows = assessed(KRAUSE, **rise).sets[0].flows
    counted = [
        one.flow.figure
        for one in flows.methods
        if one.flow.figure and not one.disagrees and one.method in ("measured", "rise")
    ]
    assert len(counted) == 2 and flows.together.figure is not None
    weights = [1 / one.uncertainty**2 for one in counted]
    expected = sum(one.value * weight for one, weight in zip(counted, weights, strict=True)) / sum(weights)
    assert flows.together.figure.value == pytest.approx(expected, rel=1e-3)
    assert min(one.value for one in counted) <= flows.together.figure.value <= max(one.value for one in counted)
