"""The book of calculations: every one can be worked, gives what its source gives, and refuses in sentences."""

from __future__ import annotations

import itertools
import json
import math

import pytest

from modest_rotor.core.calculations.book import CALCULATIONS, all_calculations, work_out
from modest_rotor.core.calculations.calculation import Input
from modest_rotor.core.errors import ModestRotorError, OutsideValidity, QuantityRefused, UnknownItem
from modest_rotor.core.quantities import all_quantities
from tests.said import refused_with

WORKED: list[tuple[str, dict[str, str], list[float]]] = [  # name, typed, results in SI
    ("synchronous_speed", {"frequency": "60 Hz", "poles": "6"}, [1200]),
    ("poles", {"rated_speed": "1,075 rpm", "frequency": "60 Hz"}, [6]),
    ("slip", {"speed": "1,075 rpm", "frequency": "60 Hz", "poles": "6"}, [125 / 1200]),
    ("torque", {"shaft_power": "25 hp", "speed": "1,750 rpm"}, [101.73]),  # 5,252 hp ÷ rpm = 75.03 lbf·ft
    ("shaft_power", {"torque": "75.03 lbf·ft", "speed": "1,750 rpm"}, [25 * 745.7]),
    ("belt_speed", {"speed": "1,750 rpm", "motor_sheave": "4 in", "machine_sheave": "8 in", "belt_slip": "0 %"}, [875]),
    ("apparent_power", {"voltage": "460 V", "current": "10 A", "phases": "3"}, [7967.4]),
    ("power_factor", {"input_power": "240 W", "voltage": "115 V", "current": "3.8 A", "phases": "1"}, [0.54919908]),
    ("input_power", {"voltage": "115 V", "current": "3.8 A", "power_factor": "55 %", "phases": "1"}, [240.35]),
    ("efficiency", {"shaft_power": "15 hp", "input_power": "12.4 kW"}, [0.90205645]),  # DOE fact sheet
    ("load_by_slip", {"frequency": "60 Hz", "poles": "4", "rated_speed": "1,750 rpm", "speed": "1,770 rpm", "rated_voltage": "460 V", "voltage": "414 V"}, [0.486]),  # DOE fact sheet
    ("load_by_amps", {"current": "20 A", "rated_current": "28 A", "voltage": "455 V", "rated_voltage": "460 V"}, [0.70652174]),  # DOE fact sheet
    ("capacitance_running", {"current": "1.05 A", "voltage": "370 V", "frequency": "60 Hz"}, [7.5275987e-6]),
    ("capacitor_current", {"capacitance": "7.5 µF", "voltage": "370 V", "frequency": "60 Hz"}, [1.0461504]),
    ("capacitors_together", {"first": "10 µF", "second": "10 µF"}, [20e-6, 5e-6]),
    ("affinity", {"old_speed": "1,000 rpm", "new_speed": "500 rpm", "airflow": "1,000 L/s", "pressure": "400 Pa", "shaft_power": "800 W"}, [0.5, 100, 100]),
    ("air_power", {"airflow": "6,356 cfm", "pressure": "1 in. w.g.", "efficiency": "100 %"}, [745.7 * 1.0010]),
    ("pump_power", {"water_flow": "100 gpm", "pump_differential": "50 ft", "efficiency": "60 %"}, [2.1043771 * 745.7]),
    ("hydraulic_power", {"water_flow": "1 L/s", "pump_differential": "100 kPa"}, [100]),
    ("system_flow", {"airflow": "1,000 L/s", "pressure": "200 Pa", "static_pressure_set_point": "100 Pa", "wanted": "500 L/s"}, [125, 0.3125]),
    ("altitude_pressure", {"altitude": "5,000 ft"}, [0.83208543 * 101325, 0.83208543]),
    ("air_density", {"temperature": "70 °F"}, [1.2000143]),
    ("air_heat", {"airflow": "1,000 cfm", "temperature_difference": "20 °F", "temperature": "70 °F"}, [21568 * 0.29307107]),  # 1.0784 × 1,000 × 20
    ("water_heat", {"water_flow": "10 gpm", "temperature_difference": "20 °F", "temperature": "60 °F"}, [100065 * 0.29307107]),  # 500.3 × 10 × 20
    ("locked_rotor_current", {"letter": "G", "rated_power": "10 hp", "rated_voltage": "460 V", "phases": "3"}, [70.28612, 79.071885]),
    ("minimum_efficiency", {"nominal": "82.5 %"}, [0.80]),
    ("iec_class", {"class": "ie3", "poles": "4", "rated_power": "1.5 kW"}, [0.853]),
    ("us_efficiency", {"level": "premium", "enclosure": "enclosed", "poles": "4", "rated_power": "5 hp"}, [0.895]),
    ("small_motor_efficiency", {"kind": "three-phase", "poles": "4", "rated_power": "1 hp"}, [0.835]),
    ("insulation", {"class": "F"}, [155, 105, 115]),
    ("winding_temperature", {"cold_resistance": "10 Ω", "cold_temperature": "20 °C", "warm_resistance": "13 Ω"}, [96.35]),
    ("ip_code", {"code": "IP54"}, []),
    ("nema_frame", {"frame": "56"}, [0.0889, 0.12395, 0.0762, 0.06985, 0.015875]),
    ("voltage_unbalance", {"first": "460 V", "second": "467 V", "third": "450 V"}, [9 / 459, 0.95196]),
    ("wiring_current", {"rated_power": "1/2 hp", "rated_voltage": "115 V", "phases": "1"}, [9.8]),
    ("overload_setting", {"rated_current": "3.6 A"}, [4.14, 4.68]),
    ("drive_efficiency", {"rated_power": "7.5 hp", "load": "12.5 %"}, [0.815]),
    ("energy", {"input_power": "500 W", "hours": "4,000 h"}, [2000]),
    ("energy_cost", {"energy": "2,000 kWh", "energy_price": "0.19"}, [380]),
    ("start_energy", {"input_power": "1,500 W", "starting_time": "2 s", "starts": "3,600"}, [3]),
    ("emissions", {"energy": "1,000 kWh", "emission_rate": "770.884 lb/MWh"}, [349.6671]),  # EPA eGRID2023, US total
    ("simple_payback", {"cost": "900", "saving": "300"}, [3]),
    ("discounted_payback", {"cost": "900", "saving": "300"}, [3.3310]),  # −ln(1 − 900 × 0.05 ÷ 300) ÷ ln 1.05
    ("speed_for_power", {"old_speed": "1,000 rpm", "shaft_power": "100 W", "new_power": "50 W"}, [793.70]),
    ("trimmed_impeller", {"diameter_share": "90 %", "water_flow": "10 L/s", "pump_differential": "100 kPa", "shaft_power": "2 kW"}, [0.009, 81000, 1458]),
    ("velocity", {"velocity_pressure": "0.0625 in. w.g.", "area": "1 ft²", "temperature": "70 °F"}, [1001.25 * 0.00508, 1001.25 * 0.00047194744]),  # 4,005 √p_v, ASHRAE
    ("traverse", {"velocity_pressures": "15.5, 15.5; 15.5", "area": "0.1 m²", "temperature": "20 °C"}, [0.50737, 5.0737]),  # √(2 × 15.5 ÷ 1.2043)
    # Fitzgerald, Kingsley and Umans, Electric Machinery, the 220 V, 60 Hz, six-pole machine of ch. 6: by hand from its 122.3 V, 0.273 and
    # 0.490 Ω behind the stator, printed as 175 N·m at a slip of 0.192.
    ("pull_out", {"voltage": "220 V", "frequency": "60 Hz", "poles": "6", "stator_resistance": "0.294 Ω", "stator_reactance": "0.503 Ω",
                  "magnetising_reactance": "13.25 Ω", "rotor_resistance": "0.144 Ω", "rotor_reactance": "0.209 Ω"}, [174.46, 0.192]),
    ("unbalance_heating", {"unbalance": "2 %"}, [0.12, 1.0144, 1.2544]),
]  # fmt: skip


@pytest.mark.parametrize(("name", "typed", "expected"), WORKED, ids=[name for name, _, _ in WORKED])
def test_worked_examples(name: str, typed: dict[str, str], expected: list[float]) -> None:
    """Printed to four figures; 0.2 % covers the prints, handbook constants for water at 60 °F, and 0.24 Btu/lb °F for air. Each result carries formula, values, origin and source."""
    calculated = work_out(name, typed)
    values = [one.figure.value for one in calculated.results if one.figure]
    assert values == pytest.approx(expected, rel=2e-3)
    assert calculated.results or calculated.words
    for one in calculated.results:
        assert one.working and one.working.formula and one.working.source
        assert {ingredient.figure.basis for ingredient in one.working.ingredients} <= {"typed", "assumed"}
        validity = next(calculation.validity for calculation in CALCULATIONS if calculation.name == name)
        assert not validity or validity in one.working.remarks, "a result says where it holds"


def test_every_calculation_has_its_worked_example_and_a_sound_heading() -> None:
    assert {name for name, _, _ in WORKED} == {calculation.name for calculation in CALCULATIONS}
    listed = json.loads(json.dumps([facts.model_dump() for facts in all_calculations()]))
    assert len(listed) == len(CALCULATIONS) == len({facts["name"] for facts in listed})
    for facts in listed:
        assert facts["formula"] and facts["source"] and facts["label"]
        for part in (*facts["inputs"], *facts["outputs"]):
            assert part["label"] and (part["quantity"] is None or part["quantity"] in all_quantities())


def test_a_typed_uncertainty_goes_through_to_the_result() -> None:
    """T = P/ω: 2 % of power and 1 % of speed make √5 %, to first order."""
    calculated = work_out("torque", {"shaft_power": "1,000 W ± 2 %", "speed": "1,000 rpm +/- 10 rpm"})
    figure = calculated.results[0].figure
    assert figure and figure.uncertainty == pytest.approx(math.sqrt(5) / 100 * figure.value, rel=1e-3)
    working = calculated.results[0].working
    assert working and working.shares == pytest.approx({"shaft power": 0.8, "speed": 0.2}, abs=0.001)


def test_the_last_digit_typed_is_the_uncertainty_where_none_is_said() -> None:
    """Half a watt either way, each place alike likely: 1.96/√12 of a watt. A count has none."""
    figure = work_out("energy", {"input_power": "500 W", "hours": "1,000.0 h"}).results[0].figure
    assert figure and figure.uncertainty == pytest.approx(1.96 / math.sqrt(12), rel=0.02)
    assert work_out("synchronous_speed", {"frequency": "60 Hz", "poles": "6"}).results[0].figure.uncertainty is None  # type: ignore[union-attr]


@pytest.mark.parametrize(
    ("name", "typed", "words"),
    [
        ("slip", {"speed": "1,812 rpm", "frequency": "60 Hz", "poles": "4"}, "two poles, another frequency.*tachometer counting two marks"),
        ("power_factor", {"input_power": "600 W", "voltage": "115 V", "current": "3.8 A", "phases": "1"}, "more watts than volts × amps"),
        ("voltage_unbalance", {"first": "460", "second": "500", "third": "420"}, "do not run it"),
        ("efficiency", {"shaft_power": "500 W", "input_power": "400 W"}, "gives less than it takes"),
        ("capacitors_together", {"first": "10 µF", "second": "0.0 µF"}, "capacitance lies between"),
        ("simple_payback", {"cost": "900", "saving": "-10"}, "never pays back"),
        ("synchronous_speed", {"frequency": "60 Hz", "poles": "5"}, "even number of poles"),
    ],
)  # fmt: skip
def test_what_cannot_be_is_refused_in_a_sentence(name: str, typed: dict[str, str], words: str) -> None:
    with pytest.raises((OutsideValidity, QuantityRefused), match=words):
        work_out(name, typed)


@pytest.mark.parametrize(
    ("typed", "words"),
    [
        ({"frequency": "60 Hz"}, "needs poles"), ({"frequency": "60 Hz", "poles": "4", "slip": "3 %"}, "no input called “slip”"),
        ({"frequency": "60 V", "poles": "4"}, "unit of voltage"), ({"frequency": "60 Hz ± a bit", "poles": "4"}, "after ± stands a number"),
    ],
)  # fmt: skip
def test_bad_typing_says_what_to_do(typed: dict[str, str], words: str) -> None:
    with pytest.raises(QuantityRefused, match=words):
        work_out("synchronous_speed", typed)


def test_an_unknown_name_gets_its_neighbours() -> None:
    with refused_with(UnknownItem, "calculations-book-work-out-did-you"):
        work_out("synchronos_speed", {})
    with pytest.raises(QuantityRefused, match="none of the answers for phases: 1, 3"):
        work_out("apparent_power", {"voltage": "1 V", "current": "1 A", "phases": "2"})


def test_at_most_three_neighbours_of_an_unknown_name_are_named() -> None:
    with pytest.raises(UnknownItem) as refusal:
        work_out("power", {})
    assert len(refusal.value.sentence.split(" or ")) == 3


EXACT = {
    "frequency", "poles", "rated_power", "rated_voltage", "nominal", "energy_price", "starts", "emission_rate", "cost", "saving",
    "stator_resistance", "stator_reactance", "magnetising_reactance", "rotor_resistance", "rotor_reactance",
}  # fmt: skip
"""What is a count, a nominal value, a price or a parameter, and not read off a meter; typed a second time."""


def test_what_is_counted_nominal_or_priced_has_no_uncertainty_and_what_is_read_has_one() -> None:
    said = {one.name for calculation in CALCULATIONS for one in calculation.inputs if one.exact}
    assert said == EXACT
    least = work_out("minimum_efficiency", {"nominal": "82.5 %"}).results[0].figure
    assert least is not None and least.uncertainty is None
    starts = work_out("start_energy", {"input_power": "1,500 W", "starting_time": "2 s", "starts": "3,600"}).results[0]
    assert starts.working is not None and "starts a year" not in starts.working.shares
    assert set(starts.working.shares) == {"input power", "seconds to full speed"}


def test_what_can_be_chosen_is_named_where_it_is_missing_and_what_is_taken_says_so() -> None:
    with pytest.raises(QuantityRefused, match="IE1, IE2, IE3, IE4"):
        work_out("iec_class", {"poles": "4", "rated_power": "1.5 kW"})
    with pytest.raises(QuantityRefused) as refusal:
        work_out("iec_class", {"class": "IE3", "rated_power": "1.5 kW"})
    assert "(" not in refusal.value.sentence
    working = work_out("air_density", {"temperature": "70 °F"}).results[0].working
    assert working is not None
    origins = {one.label: (one.origin, one.figure.basis) for one in working.ingredients}
    assert origins.pop("temperature of the air") == ("", "typed")
    assert set(origins.values()) == {("taken where nothing is typed", "assumed")}


def test_at_the_sea_the_air_is_that_at_the_sea() -> None:
    """US Standard Atmosphere 1976: 101,325 Pa, and that over itself."""
    pressure, ratio = work_out("altitude_pressure", {"altitude": "0 m"}).results
    assert pressure.figure and ratio.figure and (pressure.figure.value, ratio.figure.value) == (101325.0, 1.0)


@pytest.mark.parametrize(
    ("name", "typed", "words"),
    [
        ("affinity", {"old_speed": "0 rpm", "new_speed": "500 rpm", "airflow": "1 L/s", "pressure": "1 Pa", "shaft_power": "1 W"}, "old speed lies above 0|lies between"),
        ("speed_for_power", {"old_speed": "1,000 rpm", "shaft_power": "0 W", "new_power": "50 W"}, "power before lies above 0"),
        ("torque", {"shaft_power": "1,000 W ± 2 parsec", "speed": "1,000 rpm"}, "after ± stands a number"),
        ("torque", {"shaft_power": "1,000 W ± two", "speed": "1,000 rpm"}, "after ± stands a number"),
    ],
)  # fmt: skip
def test_nothing_and_no_uncertainty_are_refused_as_well(name: str, typed: dict[str, str], words: str) -> None:
    with pytest.raises((OutsideValidity, QuantityRefused), match=words):
        work_out(name, typed)


def test_a_speed_for_no_power_is_standstill() -> None:
    (found,) = work_out(
        "speed_for_power", {"old_speed": "1,000 rpm", "shaft_power": "100 W", "new_power": "0 W"}
    ).results
    assert found.figure is not None and found.figure.value == 0


def test_a_plate_at_synchronous_speed_has_no_slip_to_reckon_a_load_by() -> None:
    plate = {
        "frequency": "60 Hz",
        "poles": "4",
        "rated_speed": "1,800 rpm",
        "speed": "1,770 rpm",
        "rated_voltage": "460 V",
        "voltage": "460 V",
    }
    with refused_with(OutsideValidity, "calculations-motor-load-by-slip-plate-s"):
        work_out("load_by_slip", plate)


@pytest.mark.parametrize("volts", [0.5, 1.0])
def test_a_load_by_slip_is_refused_at_no_volts_alone(volts: float) -> None:
    """Slip over rated slip, corrected by the square of rated over measured volts; whatever is above nought is worked."""
    plate = {
        "frequency": "60 Hz",
        "poles": "4",
        "rated_speed": "1,750 rpm",
        "speed": "1,770 rpm",
        "rated_voltage": "460 V",
    }
    (load,) = work_out("load_by_slip", {**plate, "voltage": f"{volts} V"}).results
    assert load.figure.value == pytest.approx(30 / 50 * (volts / 460) ** 2)


def ends_of(one: Input) -> tuple[str, ...]:
    """The ends of what can be typed for an input, and nought where it lies between them."""
    if one.quantity is None:
        return one.choices
    what = all_quantities()[one.quantity]
    unit = what.reader_unit("si")
    ends = {what.low, what.high, *([0.0] if what.low <= 0 <= what.high else [])}
    return tuple(f"{unit.from_si(end):.12g} {unit.symbol}" for end in ends)


@pytest.mark.filterwarnings("error")
def test_two_inputs_at_their_ends_are_worked_or_refused_in_words() -> None:
    """Volts of nought on a load by slip, and no poles, once ended in a division by nought."""
    tried = refused = 0
    for name, typed, _ in WORKED:
        inputs = next(one for one in CALCULATIONS if one.name == name).inputs
        for one, other in itertools.combinations_with_replacement(inputs, 2):
            for first, second in itertools.product(ends_of(one), ends_of(other)):
                tried += 1
                try:
                    found = work_out(name, {**typed, one.name: first, other.name: second}, "si")
                except ModestRotorError:
                    refused += 1
                    continue
                figures = [result.figure for result in found.results if result.figure]
                assert all(math.isfinite(figure.value) and math.isfinite(figure.uncertainty or 0) for figure in figures)
    assert tried > 1_500 and 0.1 * tried < refused < 0.9 * tried
