"""The year of an option beside its watts: starts, emissions, heat and cold, and what each waits for."""

from __future__ import annotations

from importlib.resources import files
from typing import Any

import pytest

from modest_rotor.core.assess import assess, fit_job
from modest_rotor.formats.job_file import read_job
from tests.jobs import KRAUSE, assessed, option
from tests.said import codes_of

ALL = {
    "duty__starts": "2,000", "duty__starting_time": "1.5 s", "duty__emission_rate": "0.35 kg/kWh", "duty__heated_share": "40 %",
    "duty__heat_price": "0.09 per kWh", "duty__cooled_share": "30 %", "duty__cooling_performance": "3",
}  # fmt: skip


def demo(name: str) -> Any:
    job = read_job(files("modest_rotor.demo").joinpath(f"{name}.json").read_text(encoding="utf-8"))
    return assess(job, fit_job(job))


def test_without_a_word_of_them_they_say_what_they_wait_for() -> None:
    c = option(assessed(KRAUSE), "C")
    assert "year-results-emissions-result-waits-emissions" in codes_of(c.saved_emissions.waits)
    assert "year-results-season" in codes_of(c.made_up_heat.waits) and "year-results-season" in codes_of(
        c.net_money.waits
    )
    assert "year-results-net-money-price-heat" not in codes_of(c.saved_money.waits or ())


def test_emissions_heat_and_cold_follow_the_saving_and_share_its_uncertainty() -> None:
    c = option(assessed(KRAUSE, **ALL), "C")
    saved = c.saved_energy.figure
    assert c.saved_emissions.figure.value == pytest.approx(0.35 * saved.value)
    assert c.saved_emissions.figure.uncertainty == pytest.approx(0.35 * saved.uncertainty)
    assert c.made_up_heat.figure.value == pytest.approx(0.40 * saved.value)
    assert c.saved_cooling.figure.value == pytest.approx(0.30 * saved.value / 3)
    by_hand = 0.25 * (saved.value + c.saved_cooling.figure.value) - 0.09 * c.made_up_heat.figure.value
    assert c.net_money.figure.value == pytest.approx(by_hand)


def test_outside_the_stream_only_the_shaft_warms_it() -> None:
    inside, outside = (
        option(assessed(KRAUSE, **ALL, duty__motor_place=place), "C")
        for place in ("in the air or water it moves", "outside it")
    )
    assert outside.made_up_heat.figure.value < 0.9 * inside.made_up_heat.figure.value


def test_starts_are_counted_and_are_little() -> None:
    """Two thousand starts of a motor that takes some 1.3 kW with its rotor held: under 1 % of the year."""
    bare, counted = (option(assessed(KRAUSE, **changes), "A").energy for changes in ({}, ALL))
    share = counted.figure.value / bare.figure.value - 1
    assert 0.0002 < share < 0.01
    assert any("year-results-energy-result-starts-counted" in codes_of(remark) for remark in counted.working.remarks)


def test_shares_beyond_all_hours_are_refused_in_a_sentence() -> None:
    c = option(assessed(KRAUSE, **{**ALL, "duty__heated_share": "80 %"}), "C")
    assert "economy-heat-and-cold" in codes_of(c.made_up_heat.waits) and c.saved_energy.figure


@pytest.mark.slow
def test_a_pump_with_lift_saves_far_less_than_the_cube_promises() -> None:
    """Grey water: 60 % of the head is lift. By the cube, at 60 % of the flow 0.22 of the power would do; solved, near half is needed."""
    steps = option(demo("grey_water_lift_pump"), "D").steps
    assert 0.40 < steps[1].shaft_power.value / steps[0].shaft_power.value < 0.55
    free = option(demo("heating_circulator"), "C").steps
    # Without lift between the square law's 0.6³ and that of a smooth pipe, 0.6^2.8.
    assert 0.6**3 < free[1].shaft_power.value / free[0].shaft_power.value < 0.6**2.8


def test_a_three_phase_fan_on_a_drive_beats_its_damper() -> None:
    answer = demo("hall_supply_fan")
    kept, driven = (option(answer, letter).steps[1] for letter in "AD")
    assert driven.flow.value == pytest.approx(kept.flow.value)
    assert driven.input_power.value < 0.5 * kept.input_power.value
    assert option(answer, "D").saved_energy.figure.value > option(answer, "D").saved_energy.figure.uncertainty


def test_the_starts_of_a_motor_with_a_start_switch_are_counted_by_what_its_kind_takes() -> None:
    """Some four and a half times the plate's amps at 110 V: about 1.1 kW for 1.5 s, 2,000 times."""
    switch = {"nameplate__motor_kind": "single-phase", "nameplate__run_capacitance": None}
    bare, counted = (option(assessed(KRAUSE, **switch, **changes), "A").energy.figure.value for changes in ({}, ALL))
    assert counted - bare == pytest.approx(0.9 * 1.15 * 1.5 * 2000 / 3600, rel=0.15)


def test_starts_without_their_seconds_are_charged_to_no_option() -> None:
    bare, half = (assessed(KRAUSE, **changes) for changes in ({}, {"duty__starts": "2,000"}))
    for letter in "ACD":
        assert option(half, letter).energy.figure.value == option(bare, letter).energy.figure.value


def test_heat_and_cold_show_what_they_are_worked_from() -> None:
    c = option(assessed(KRAUSE, **ALL), "C")
    value = {one.symbol: one.figure.value for one in c.saved_cooling.working.ingredients}
    assert c.saved_cooling.figure.value == pytest.approx(value["Q_0"] * value["k"] / value["COP"])
    value = {one.symbol: one.figure.value for one in c.made_up_heat.working.ingredients}
    assert c.made_up_heat.figure.value == pytest.approx(value["Q_0"] * value["h"])
