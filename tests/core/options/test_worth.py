"""Money and what moves it: against numpy-financial, by hand, and as laws."""

from __future__ import annotations

from typing import Any

import numpy_financial as npf
import pytest
from hypothesis import given
from hypothesis import strategies as st

from modest_rotor.core.economy import break_even_hours, net_present_value, present_worth_factor
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import exactly, measured
from modest_rotor.core.phrase import plain
from tests.core.options.test_kinds import PUMP, QUARTER_HORSE
from tests.jobs import KRAUSE, assessed, option
from tests.said import codes_of


@given(
    years=st.integers(1, 40), discount=st.floats(0.0, 0.3), rise=st.floats(-0.05, 0.2), cost=st.floats(10, 5000),
    saved=st.floats(-500, 2000),
)  # fmt: skip
def test_present_value_is_that_of_numpy_financial(
    years: int, discount: float, rise: float, cost: float, saved: float
) -> None:
    flows = [-cost, *(saved * (1 + rise) ** (year - 1) for year in range(1, years + 1))]
    mine = net_present_value(exactly(cost), exactly(saved), present_worth_factor(years, discount, rise))
    assert mine.value == pytest.approx(npf.npv(discount, flows), rel=1e-9, abs=1e-6)


def test_the_discount_rate_that_makes_it_worth_nothing_is_its_internal_rate_of_return() -> None:
    rate = npf.irr([-400.0] + [90.0] * 10)
    assert net_present_value(exactly(400.0), exactly(90.0), present_worth_factor(10, rate, 0.0)).value == pytest.approx(
        0, abs=1e-6
    )


@pytest.mark.parametrize(
    ("years", "discount", "words"), [(0.0, 0.05, "no years"), (-1.0, 0.05, "no years"), (10.0, -0.01, "below zero")]
)
def test_a_life_of_nothing_and_a_negative_rate_are_refused(years: float, discount: float, words: str) -> None:
    with pytest.raises(OutsideValidity, match=words):
        present_worth_factor(years, discount, 0.0)


def test_break_even_hours_do_not_count_the_hours_twice() -> None:
    """Saving goes with hours, so their error falls out of saving per hour: only the watts' remains."""
    hours = measured(2000.0, hours=200.0)
    saved = hours * measured(0.05, watts=0.002)
    found = break_even_hours(exactly(500.0), saved, hours)
    assert found.value == pytest.approx(10_000)
    assert found.low and found.high
    assert (found.high - found.low) / 2 / found.value == pytest.approx(1.96 * 0.002 / 0.05, rel=0.02)


def test_a_ratio_loses_what_both_share() -> None:
    shared = measured(10.0, meter=1.0)
    assert (shared / shared).standard == pytest.approx(0.0)
    assert (shared / 2.0).value == 5.0


BASE: dict[str, Any] = {"id": "electronic", "kind": "electronic", "price": "420"}


def worth(candidate: dict[str, Any] | None = None, asked: dict[str, Any] | None = None, **changes: Any) -> Any:
    return option(
        assessed(KRAUSE, options={"candidates": [{**BASE, **(candidate or {})}], **(asked or {})}, **changes), "B"
    )


def test_labour_adds_and_a_rebate_takes_away() -> None:
    assert worth({"labour": "180", "rebate": "100"}).cost.value == pytest.approx(500)


def test_worth_rises_with_prices_and_falls_with_discount_and_with_a_short_life() -> None:
    plain_ = worth().worth.figure.value
    assert worth(asked={"escalation": "5 %"}).worth.figure.value > plain_
    assert worth(asked={"discount_rate": "12 %"}).worth.figure.value < plain_
    assert worth(duty__remaining_life="3 years").worth.figure.value < plain_
    short = worth(duty__remaining_life="3 years").worth.working
    assert any("money-results-worth-result-counted-longer" in codes_of(remark) for remark in short.remarks)


def test_present_value_can_be_reckoned_by_hand_from_its_working() -> None:
    one = worth(asked={"discount_rate": "4 %", "escalation": "2 %"})
    value = {part.symbol: part.figure.value for part in one.worth.working.ingredients}
    flows = [-value["C"], *(value["S"] * (1 + value["e"]) ** year for year in range(int(value["n"])))]
    assert one.worth.figure.value == pytest.approx(npf.npv(value["d"], flows))


def test_a_seasonal_price_is_weighed_by_its_hours() -> None:
    flat = worth().saved_money.figure.value
    seasonal = worth(duty__tariff="seasonal", duty__summer_price="0.45 per kWh", duty__summer_share="50 %")
    assert seasonal.saved_money.figure.value == pytest.approx(flat * (0.25 + 0.45) / 2 / 0.25)
    lacking = worth(duty__tariff="seasonal")
    assert "options-year-price-waits-waits-summer" in codes_of(lacking.saved_money.waits)


def test_in_a_refrigerated_room_every_watt_is_saved_again_in_the_compressor() -> None:
    cold = worth(duty__refrigerated="yes", duty__cooling_performance="2")
    assert cold.saved_cooling.figure.value == pytest.approx(cold.saved_energy.figure.value / 2)
    assert cold.made_up_heat.figure.value == 0


def test_fuel_costs_more_per_heat_than_per_fuel() -> None:
    """Heat that must be made up, bought as fuel at 80 %: its price per kWh of heat is a quarter higher. Energy balance."""
    heat = {"duty__heated_share": "50 %", "duty__heat_price": "0.10 per kWh"}
    as_heat, as_fuel = worth(**heat), worth(**heat, duty__heat_efficiency="80 %")
    lost = [one.saved_money.figure.value - one.net_money.figure.value for one in (as_heat, as_fuel)]
    assert lost[1] == pytest.approx(lost[0] / 0.8)


def test_a_guaranteed_efficiency_promises_less_than_the_nominal_one() -> None:
    """Promises rest between guaranteed and nominal; the nominal saving is shown beside it, and is what a sheet would promise."""
    product = {
        "code": "em", "type": "motor", "name": "Motor", "motor_kind": "electronic", "rated_power": "250 W", "rated_speed": "1,725 rpm",
        "rated_voltage": "115 V", "nominal_efficiency": "80 %", "least_efficiency": "76 %",
    }  # fmt: skip
    both = worth({"product": product})
    nominal_only = worth({"product": {name: value for name, value in product.items() if name != "least_efficiency"}})
    assert both.nominal_saving.figure.value > both.saved_energy.figure.value
    assert both.saved_energy.figure.value < nominal_only.saved_energy.figure.value
    assert nominal_only.saved_energy.figure.value < both.nominal_saving.figure.value
    at_nominal = worth({"product": {**product, "nominal_efficiency": None, "least_efficiency": "80 %"}})
    assert both.nominal_saving.figure.value == pytest.approx(at_nominal.saved_energy.figure.value, rel=0.02)


def test_a_data_sheet_s_efficiency_is_met_at_rated_load() -> None:
    """At rated power and speed the motor's losses are those that its sheet stands for: definition of efficiency."""
    product = {
        "code": "em", "type": "motor", "name": "Motor", "motor_kind": "electronic", "rated_power": "224.6 W", "rated_speed": "1,710 rpm",
        "rated_voltage": "115 V", "least_efficiency": "75 %",
    }  # fmt: skip
    step = worth({"product": product}).steps[0]
    at_rated = step.shaft_power.value / 224.6
    losses = step.input_power.value - step.shaft_power.value
    assert losses == pytest.approx(224.6 * (1 / 0.75 - 1), rel=abs(at_rated**2 - 1) + 0.02)


def test_the_levers_add_up_and_name_what_would_narrow_them() -> None:
    told = worth().sensitivities
    assert 1 <= len(told.largest) <= 5
    assert sum(sensitivity.share for sensitivity in told.largest) + told.rest == pytest.approx(1)
    assert [sensitivity.share for sensitivity in told.largest] == sorted(
        (sensitivity.share for sensitivity in told.largest), reverse=True
    )
    assert told.narrow
    saved = worth().saved_energy.figure
    for sensitivity in told.largest:
        assert sensitivity.low.value < saved.value < sensitivity.high.value
        assert sensitivity.high.value - sensitivity.low.value <= 2 * saved.uncertainty + 1e-9


def test_running_always_costs_more_than_on_call() -> None:
    one = option(assessed(KRAUSE), "A")
    off = 8760 - 5000
    lowest = one.steps[1].input_power.value
    assert one.always_on.figure.value == pytest.approx(one.energy.figure.value + lowest * off / 1000)


def test_inrush_amps_decide_what_the_starts_take() -> None:
    """40 A at 110 V and a power factor of 0.8 for 2 s, 20,000 times: 0.9 × 3.52 kW × 11.1 h."""
    counted = option(
        assessed(KRAUSE, duty__starts="20,000", duty__starting_time="2 s", duty__inrush="40 A"), "A"
    ).energy
    bare = option(assessed(KRAUSE), "A").energy
    assert counted.figure.value - bare.figure.value == pytest.approx(0.9 * 40 * 110 * 0.8 * 2 * 20000 / 3.6e6, rel=1e-6)


@pytest.mark.parametrize(
    ("step", "words"),
    [
        ({"wants": "share of the wanted flow", "design_share": "80 %"}, "waits for the wanted flow"),
        ({"wants": "a flow", "airflow": "9,000 L/s"}, "of full flow: this wheel cannot give that"),
        ({"wants": "a tap"}, "waits for the tap"),
        ({"wants": "a flow"}, "waits for the flow"),
    ],
)
def test_a_step_that_asks_for_what_is_not_known_waits_in_words(step: dict[str, Any], words: str) -> None:
    steps = [{"id": "s1", "name": "one", "hours": "1,000 h", **step}]
    assert words in plain(option(assessed(KRAUSE, duty__steps=steps), "A").energy.waits)


def test_a_demand_can_be_said_as_a_share_a_flow_a_design_share_or_as_it_runs() -> None:
    """255 L/s is half of the 510 found, and 60 % of a wanted flow of 425 L/s."""
    steps = [
        {"id": "s1", "hours": "1,000 h", "flow_share": "50 %"},
        {"id": "s2", "hours": "1,000 h", "wants": "a flow", "airflow": "255 L/s"},
        {"id": "s3", "hours": "1,000 h", "wants": "share of the wanted flow", "design_share": "60 %"},
        {"id": "s4", "hours": "1,000 h", "wants": "as it runs now"},
    ]
    one = worth(duty__steps=steps, target={"airflow": "425 L/s"})
    flows = [step.flow.value for step in one.steps]
    assert flows == pytest.approx([0.255, 0.255, 0.255, 0.510])


def test_a_thermostat_s_cycles_make_hours_and_starts() -> None:
    """Three cycles of 10 minutes an hour over 180 days: half of 4,320 hours, and 12,960 starts. Arithmetic."""
    steps = [
        {"id": "s1", "name": "heat", "flow_share": "100 %", "cycles": "3", "minutes": "10 min", "season": "180 days"}
    ]
    duty = assessed(KRAUSE, duty__steps=steps).duty
    assert duty.hours.figure.value == pytest.approx(2160)
    assert duty.starts.figure.value == pytest.approx(12960)
    too_many = assessed(KRAUSE, duty__steps=[{**steps[0], "minutes": "25 min"}]).duty
    assert "stations-duty-refusal-cycles-min" in codes_of(too_many.hours.waits)


def test_old_job_files_keep_their_costs() -> None:
    """Files of earlier versions held one cost for each of three kinds."""
    answer = assessed(KRAUSE, options={"same_kind_cost": "220", "electronic_cost": "420", "drive_cost": "800"})
    assert [one.cost.value for one in answer.options.options[1:]] == [220, 420, 800]


def test_a_fan_that_runs_always_fills_the_hours_between_calls() -> None:
    """By hand: the lowest step's watts for the 3,760 h that are left of the year; run with its calls alone it is the year as typed.
    The saving counts those hours too."""
    calls, always = (worth(duty__circulation=said) for said in ("automatic", "always on"))
    lowest = min(step.input_power.value for step in always.steps)
    off = 8760 - 5000
    assert always.energy.figure.value > calls.energy.figure.value
    assert always.always_on.figure.value == pytest.approx(calls.energy.figure.value, rel=1e-9)
    assert calls.always_on.figure.value == pytest.approx(always.energy.figure.value, rel=1e-9)
    running = sum(step.input_power.value * step.hours.value for step in always.steps)
    assert always.energy.figure.value == pytest.approx((running + lowest * off) / 1000, rel=1e-6)
    assert always.saved_energy.figure.value > calls.saved_energy.figure.value


def test_a_payback_is_open_where_the_saving_may_be_nothing_and_closed_where_it_may_not() -> None:
    """Through a whole job: by Fieller, the upper end exists just where nothing lies outside the saving's own uncertainty."""
    candidates = [{"id": "same", "kind": "same kind", "price": "400"}, {"id": "ec", "kind": "electronic", "price": "400"},
                  {"id": "tap", "kind": "another tap", "price": "60"}]  # fmt: skip
    told = assessed(QUARTER_HORSE, options={"candidates": candidates})
    seen = set()
    for one in told.options.options[1:]:
        money, payback = one.saved_money.figure, one.payback.figure
        sure, likely = money.value - money.uncertainty > 0, money.value > 0
        seen.add((sure, likely))
        if not likely:
            assert payback is None and "money-results-never" in codes_of(one.payback.waits)
            continue
        assert payback.value == pytest.approx(one.cost.value / money.value, rel=1e-6)
        assert payback.low is not None and payback.low < payback.value
        assert (payback.high is not None) is sure
        assert payback.high is None or payback.high > payback.value
    assert seen == {(True, True), (False, True), (False, False)}, "all three were met"


def test_inrush_amps_of_three_phases_flow_in_each_of_them() -> None:
    """17 A in each line at 400 V and a power factor of 0.8: 0.9 × √3 × 400 × 17 × 0.8 for 2 s, 20,000 times."""
    starts = {"duty__starts": "20,000", "duty__starting_time": "2 s", "duty__inrush": "17 A"}
    counted, bare = (option(assessed(PUMP, **typed), "A").energy.figure.value for typed in (starts, {}))
    assert counted - bare == pytest.approx(0.9 * 3**0.5 * 17 * 400 * 0.8 * 2 * 20000 / 3.6e6, rel=1e-6)
