"""Every kind of option against closed forms, textbooks and what technicians observe."""

from __future__ import annotations

import json
import re
from importlib.resources import files
from typing import Any

import numpy as np
import pytest

from modest_rotor.core.identify.fit import FittedMotor
from modest_rotor.core.identify.motor import MotorKind, PlateFacts
from modest_rotor.core.options.rating import product_facts, product_motor, promised_losses
from modest_rotor.core.phrase import plain
from modest_rotor.core.physics.drive import drive_loss_w
from modest_rotor.core.standards.drives import drive_efficiency
from modest_rotor.core.standards.motors import W_PER_HP
from modest_rotor.core.stations.options import Candidate, OptionKind
from modest_rotor.core.stations.product import Product
from tests.core.standards.test_outside import fan_amps
from tests.jobs import KRAUSE, as_loaded, assessed, option
from tests.said import codes_of

pytestmark = pytest.mark.slow

PLACE = {"motor_maker_agrees": "yes", "drive_maker_agrees": "yes", "start_switch": "no"}
PUMP: dict[str, Any] = {
    "site": KRAUSE["site"],
    "machine": {"name": "circuit pump", "type": "centrifugal pump"},
    "document": {
        "call": {"reason": "costly", "protected": "no"},
        "nameplate": {
            "rated_power": "1.5 kW", "rated_voltage": "400 V", "rated_current": "3.4 A", "rated_speed": "1,435 rpm",
            "frequency": "50 Hz", "phases": 3,
        },
        "readings": [
            {
                "id": "s1", "name": "open", "tap": "one speed", "voltage": "400 V", "current": "3.1 A", "speed": "1,445 rpm",
                "input_power": "1,500 W", "water_flow": "6 L/s", "pump_differential": "10 m w.",
            }
        ],
        "duty": {
            "steps": [
                {"id": "s1", "name": "full", "hours": "2,000 h", "flow_share": "100 %"},
                {"id": "s2", "name": "part", "hours": "3,000 h", "flow_share": "60 %"},
            ],
            "part_flow": "by a damper or valve", "static_lift": "0 m w.", "energy_price": "0.25 per kWh",
        },
    },
}  # fmt: skip


def of_kind(data: dict[str, Any], kind: OptionKind, *, own: dict[str, Any] | None = None, **changes: Any) -> Any:
    """The one option of a kind beside A."""
    candidates = [{"id": "one", "kind": str(kind), "price": "400", **(own or {})}]
    asked = {"candidates": candidates, "fitting": changes.pop("fitting", PLACE)}
    return option(assessed(data, options=asked, **changes), "B")


def watts(one: Any, step: int = 0) -> float:
    return float(one.steps[step].input_power.value)


@pytest.mark.parametrize("kind", [kind for kind in OptionKind if kind is not OptionKind.KEEP], ids=str)
@pytest.mark.parametrize("data", [KRAUSE, PUMP], ids=["capacitor fan", "three-phase pump"])
def test_every_kind_answers_every_machine_with_numbers_or_words(kind: OptionKind, data: dict[str, Any]) -> None:
    """Solved, stopped, or waiting in words: never a blank, never a number that is none."""
    one = of_kind(data, kind, duty__machines="2")
    for step in one.steps:
        if step.flow is None:
            assert step.note
            continue
        for part in (step.flow, step.speed, step.shaft_power, step.input_power):
            assert np.isfinite([part.value, part.uncertainty or 0.0]).all()
        assert 0 < step.shaft_power.value < step.input_power.value
        assert step.workings.input_power.formula
    assert one.stop or one.energy.figure or one.energy.waits


def test_a_machine_that_a_kind_is_not_for_is_a_stop_that_nobody_waives() -> None:
    for kind, data in ((OptionKind.TRIM, KRAUSE), (OptionKind.EC_FAN, PUMP), (OptionKind.REGULATOR, PUMP)):
        one = of_kind(data, kind)
        assert one.fits == "cannot" and one.stop
        assert not next(check for check in one.checks if check.check == "machine").can_be_waived


# A quarter-horse fan at 1,720 rpm, 186.5 W at the shaft on a free duct: 270 W with a capacitor motor and regulator, 220 W
# electronic; at 1,200 rpm still about 260 W against 75 W; about 5 W at 400 rpm. Common practice, no source. What the
# physics gives for the regulated side by lower volts is 242 W; a series resistor cannot hold the low-slip motor there.
QUARTER_HORSE = {
    **KRAUSE,
    "document": {
        **KRAUSE["document"],  # type: ignore[dict-item]
        "nameplate": {
            "rated_power": "186.5 W", "rated_voltage": "115 V", "rated_current": "2.6 A", "rated_speed": "1,720 rpm",
            "frequency": "60 Hz", "phases": 1, "run_capacitance": "10 µF",
        },
        "readings": [
            {
                "id": "s1", "name": "full", "tap": "one speed", "voltage": "115 V", "current": "2.6 A", "input_power": "270 W",
                "speed": "1,720 rpm", "supply_static": "150 Pa", "return_static": "0 Pa", "airflow": "500 L/s",
            }
        ],
        "duty": {
            "steps": [
                {"id": "s1", "name": "1,720", "hours": "1,000 h", "flow_share": "100 %"},
                {"id": "s2", "name": "1,200", "hours": "1,000 h", "flow_share": "69.77 %"},
                {"id": "s3", "name": "400", "hours": "1,000 h", "flow_share": "23.26 %"},
            ],
            "part_flow": "it runs full all the same", "energy_price": "0.25 per kWh", "system_exponent": "2",
        },
    },
}  # fmt: skip


def test_what_a_pump_cannot_be_is_said_in_the_units_of_pumps() -> None:
    """A lift above the differential, and a throttle that takes more than grows with flow: metres and feet of water, not inches."""
    (curve,) = {
        words
        for words in assessed(PUMP, duty__static_lift="12 m w.").balance.waits
        if "found-machine-unreadable-pressure-stays" in codes_of(words)
    }
    throttle = of_kind(PUMP, OptionKind.THROTTLE_OUT, own={"throttle_drop": "120 kPa"})
    said = " ".join(piece for piece in throttle.energy.waits or () if isinstance(piece, str))
    for words in (curve, said):
        assert "m w. (" in words and "ft w.)" in words and "in. w.g." not in words, words


def test_the_trade_s_regulated_fan_against_the_electronic_one_at_three_speeds() -> None:
    """220, 75 and about 5 W at the three speeds are what technicians see of one such motor (common practice, no source). The load of
    its fan is not known: a fifth over the uncertainties of an unnamed one."""
    electronic = of_kind(QUARTER_HORSE, OptionKind.ELECTRONIC)
    assert [step.speed.value for step in electronic.steps] == pytest.approx([1720, 1200, 400], rel=1e-3)
    for step, seen in zip(electronic.steps, (220, 75, 5), strict=True):
        assert abs(step.input_power.value - seen) < 1.2 * step.input_power.uncertainty
    regulated = of_kind(QUARTER_HORSE, OptionKind.REGULATOR, own={"regulator": "lower volts"})
    assert watts(regulated, 0) == pytest.approx(270, rel=0.005)  # as read
    assert watts(regulated, 1) == pytest.approx(242, rel=0.10)  # the slip loss that no regulator takes away
    assert watts(regulated, 1) > 2 * watts(electronic, 1)


def test_a_series_resistor_cannot_hold_a_stiff_motor_at_low_speed() -> None:
    """A few volts would span the whole range of speeds: the tool says so in place of a number."""
    series = of_kind(QUARTER_HORSE, OptionKind.REGULATOR, own={"regulator": "series resistance"})
    assert series.steps[2].flow is None
    assert "regulator-cannot-hold" in codes_of(series.steps[2].note)


@pytest.mark.parametrize("share", [0.75, 0.5])
def test_no_regulator_is_better_than_one_less_slip(share: float) -> None:
    """Efficiency of an induction motor cannot exceed 1 − s: textbooks."""
    step = of_kind(KRAUSE, OptionKind.REGULATOR, duty__steps__1__flow_share=f"{100 * share} %").steps[1]
    assert step.shaft_power.value / step.input_power.value < step.speed.value / 1800


def test_slowed_by_speed_a_free_duct_takes_the_cube_and_a_held_pressure_does_not() -> None:
    """Affinity laws, AMCA 201: with half the pressure held, slowing saves far less than the cube promises."""
    square = {"duty__system_exponent": "2"}
    free = of_kind(KRAUSE, OptionKind.ELECTRONIC, **square)
    held = of_kind(KRAUSE, OptionKind.ELECTRONIC, duty__static_pressure_set_point="140 Pa", **square)
    cube = [one.steps[1].shaft_power.value / one.steps[0].shaft_power.value for one in (free, held)]
    assert cube[0] == pytest.approx(1 / 8, rel=1e-3)
    assert cube[1] > 2.5 / 8
    assert held.cube_promise.figure.value > 1.2 * held.saved_energy.figure.value
    assert any("50 % of the pressure stays" in remark for remark in held.cube_promise.working.remarks)


def test_the_mean_of_the_cubes_is_not_the_cube_of_the_mean() -> None:
    """Half the hours at 40 % and half at 100 % take far more than all of them at 70 %: Jensen's inequality."""
    spread = of_kind(KRAUSE, OptionKind.ELECTRONIC, duty__steps=[
        {"id": "s1", "hours": "2,000 h", "flow_share": "100 %"}, {"id": "s2", "hours": "2,000 h", "flow_share": "40 %"},
    ])  # fmt: skip
    even = of_kind(KRAUSE, OptionKind.ELECTRONIC, duty__steps=[{"id": "s1", "hours": "4,000 h", "flow_share": "70 %"}])
    assert spread.energy.figure.value > 1.3 * even.energy.figure.value


def test_a_stiffer_motor_runs_faster_and_wipes_out_its_saving() -> None:
    """A replacement of higher efficiency and less slip turns a free fan faster: its watts go with the cube of speed.

    US Department of Energy, Motor Tip Sheet on replacing with higher-speed motors (from memory): a gain of 2 % in speed
    takes some 6 % more power.
    """
    better = {
        "code": "stiff", "type": "motor", "name": "stiffer", "motor_kind": "three-phase", "rated_power": "1.5 kW",
        "rated_voltage": "400 V", "rated_current": "3.3 A", "rated_speed": "1,470 rpm", "frequency": "50 Hz", "phases": 3,
    }  # fmt: skip
    fan = {**PUMP, "machine": {"name": "fan", "type": "backward-inclined"}}
    readings = [
        {**PUMP["document"]["readings"][0], "airflow": "1,900 L/s", "supply_static": "300 Pa", "return_static": "0 Pa"}
    ]
    steps = [{"id": "s1", "hours": "6,000 h", "flow_share": "100 %"}]
    new = of_kind(fan, OptionKind.SAME_KIND, own={"product": better}, readings=readings, duty__steps=steps)
    step = new.steps[0]
    assert step.speed.value > 1455
    assert step.shaft_power.value > 1.015 * 1500 * 0.76  # more at the shaft than the old motor gave
    efficient = 1 - step.shaft_power.value / step.input_power.value
    assert efficient < 0.2
    assert (
        new.saved_energy.figure.value < 0.5 * (0.85 - 0.78) * 9000
    )  # most of what better efficiency would bring is gone


def test_constant_airflow_takes_more_watts_as_the_filter_loads_and_the_others_lose_air() -> None:
    """From 0.5 to 0.8 in. w.g.: a capacitor motor loses about 17 % of its air, constant torque less, constant airflow none
    and its watts rise. Common practice, no source; on a forward-curved wheel, above its best flow."""
    blower = {
        **KRAUSE,
        "machine": {"name": "blower", "type": "forward-curved"},
        "document": {
            **KRAUSE["document"],  # type: ignore[dict-item]
            "nameplate": {
                "rated_power": "1/2 hp", "rated_voltage": "230 V", "rated_current": "3.2 A", "rated_speed": "1,075 rpm",
                "frequency": "60 Hz", "phases": 1, "run_capacitance": "7.5 µF",
            },
            "readings": [
                {
                    "id": "s1", "name": "open", "tap": "high tap", "voltage": "230 V", "current": "3.1 A", "speed": "1,080 rpm",
                    "input_power": "590 W", "supply_static": "125 Pa", "return_static": "0 Pa", "airflow": "620 L/s",
                }
            ],
        },
    }  # fmt: skip
    kinds = (OptionKind.TORQUE, OptionKind.AIRFLOW, OptionKind.ELECTRONIC)
    strong = {"code": "one", "type": "motor", "name": "One horse", "motor_kind": "electronic", "rated_power": "1 hp", "rated_voltage": "230 V",
              "phases": 1, "rated_speed": "1,500 rpm", "nominal_efficiency": "80 %", "blower_constants": "yes"}  # fmt: skip
    asked = {
        "candidates": [{"id": f"k{n}", "kind": str(kind), "product": strong} for n, kind in enumerate(kinds)],
        "resistance_factor": "200 %",
    }
    answers = as_loaded(blower, options={**asked, "fitting": {"permanent_supply": "yes", "listing_allows": "yes"}})
    lost, gained = {}, {}
    for one, kind in zip(answers.values(), ("keep", *kinds), strict=True):
        first, last = one.points[0], one.asked
        lost[kind] = 1 - last.flow.value / first.flow.value
        gained[kind] = last.input_power.value / first.input_power.value - 1
    assert lost["airflow"] == pytest.approx(0.0, abs=1e-6)
    assert 0 < lost["torque"] < lost["keep"] < lost["electronic"]
    assert gained["airflow"] > 0.1 and gained["torque"] > 0
    assert gained["keep"] < 0 and gained["electronic"] < 0


def test_two_fans_slowed_or_one_off_lie_between_what_the_cube_law_says_of_each() -> None:
    """By the cube law alone two fans at half speed take an eighth of both; one off takes half. Solved machines lie between:
    slowed ones carry their losses; one alone in a wider duct gives more than half of the flow and takes more than its share."""
    asked = {
        "candidates": [{"id": "k1", "kind": "fans staged"}, {"id": "k2", "kind": "fans slowed together"}],
        "fitting": PLACE,
    }
    answer = assessed(KRAUSE, options=asked, duty__machines="2", duty__part_flow="it runs full all the same")
    staged, slowed = option(answer, "B"), option(answer, "C")
    assert plain(staged.steps[1].setting) == "1 of 2 run"
    one_off = watts(staged, 1) / watts(staged, 0)
    both = watts(slowed, 1) / watts(option(answer, "A"), 0)
    assert 1 / 8 * 0.7 < both < one_off
    assert 0.4 < one_off < 0.65
    share = staged.steps[1].flow.value / staged.steps[0].flow.value
    assert 0.5 < share < 0.75  # one fan against a duct made for two moves more than half
    assert option(answer, "A").energy.figure.value == pytest.approx(2 * 305.8 * 5000 / 1000, rel=1e-3)


def test_both_stages_running_are_the_machine_as_found() -> None:
    asked = {"candidates": [{"id": "k1", "kind": "fans staged"}], "fitting": PLACE}
    staged = option(assessed(KRAUSE, options=asked, duty__machines="3"), "B").steps[0]
    assert staged.flow.value == pytest.approx(0.510, rel=1e-4)
    assert staged.input_power.value == pytest.approx(305.8, rel=1e-4)


@pytest.mark.parametrize("kind", [OptionKind.TRIM, OptionKind.RESHEAVE], ids=str)
def test_a_wheel_left_at_its_size_changes_nothing(kind: OptionKind) -> None:
    data, field = (PUMP, "diameter_share") if kind is OptionKind.TRIM else (KRAUSE, "speed_share")
    one = of_kind(data, kind, own={field: "100 %"})
    for step, today in zip(one.steps, option(assessed(data), "A").steps, strict=True):
        assert step.input_power.value == pytest.approx(today.input_power.value, rel=2e-3)
        assert step.speed.value == pytest.approx(today.speed.value, rel=1e-3)


def test_a_throttle_taken_out_gives_the_flow_of_the_opened_system() -> None:
    """By hand on a circuit without lift, p = k q²: with half of the pressure lost at the throttle k halves, so at the new point
    p ÷ q² is half of what it was; more flow is told as more than asked for, and a part step keeps the flow that it had."""
    kept = option(assessed(PUMP, duty__system_exponent="2"), "A").steps
    half = f"{kept[0].pressure.value / 2000:.3f} kPa"
    full, part = of_kind(PUMP, OptionKind.THROTTLE_OUT, own={"throttle_drop": half}, duty__system_exponent="2").steps
    before = kept[0].pressure.value / kept[0].flow.value ** 2
    assert full.flow.value > 1.05 * kept[0].flow.value
    assert full.pressure.value / full.flow.value**2 == pytest.approx(before / 2, rel=0.01)
    assert "throttle-out-solve-more-flow" in codes_of(full.note) and "throttle-out-solve-more-flow" not in codes_of(
        part.note
    )
    assert part.flow.value == pytest.approx(kept[1].flow.value, rel=0.03)
    for own, words in (({}, "pressure lost at the throttle"), ({"throttle_drop": "900 kPa"}, "cannot take more than")):
        waits = of_kind(PUMP, OptionKind.THROTTLE_OUT, own=own).steps
        assert waits[0].flow is None and words in waits[0].note


@pytest.mark.parametrize(
    ("data", "kind"),
    [(PUMP, OptionKind.EC_FAN), *((KRAUSE, kind) for kind in OptionKind if kind.name.startswith("CIRCULATOR"))],
)
def test_a_fan_is_no_pump_and_a_circulator_no_fan(data: dict[str, Any], kind: OptionKind) -> None:
    one = of_kind(data, kind)
    assert one.stop.code == "table-fit-checks-question-machine" and one.energy.figure is None


def test_a_trim_takes_flow_with_diameter_and_power_with_its_cube_but_for_the_motor_s_slip() -> None:
    """On a circuit without lift: q ∝ d, P ∝ d³; the lighter loaded motor runs a little faster. Affinity laws; ANSI/HI."""
    one = of_kind(PUMP, OptionKind.TRIM, own={"diameter_share": "90 %"}, duty__system_exponent="2")
    step = one.steps[0]
    speed = step.speed.value / 1445
    assert 1.0 < speed < 1.012
    assert step.flow.value / 0.006 == pytest.approx(0.9 * speed, rel=1e-3)
    kept = option(assessed(PUMP), "A").steps[0]
    assert step.shaft_power.value / kept.shaft_power.value == pytest.approx((0.9 * speed) ** 3, rel=2e-3)


def test_circulators_take_less_the_more_their_pressure_falls_with_flow() -> None:
    """At 60 % of flow on a closed circuit: constant speed > constant pressure > proportional pressure > speed along the circuit."""
    kinds = (
        OptionKind.CIRCULATOR_SPEED, OptionKind.CIRCULATOR_CONSTANT, OptionKind.CIRCULATOR_PROPORTIONAL, OptionKind.DRIVE,
    )  # fmt: skip
    shaft = [of_kind(PUMP, kind).steps[1].shaft_power.value for kind in kinds]
    assert shaft == sorted(shaft, reverse=True)
    held = of_kind(PUMP, OptionKind.CIRCULATOR_CONSTANT).steps
    assert held[1].pressure.value == pytest.approx(held[0].pressure.value)
    proportional = of_kind(PUMP, OptionKind.CIRCULATOR_PROPORTIONAL).steps
    assert proportional[1].pressure.value == pytest.approx(0.8 * proportional[0].pressure.value)  # H (1 + q) ÷ 2


LOAD_PROFILE = ((1.00, 0.06), (0.75, 0.15), (0.50, 0.35), (0.25, 0.44))
"""Flow over the rated one and share of the time: the load profile of circulators, Commission Regulation (EC) 641/2009 and EN 16297-1,
from memory."""


@pytest.mark.parametrize("kind", [OptionKind.CIRCULATOR_CONSTANT, OptionKind.CIRCULATOR_PROPORTIONAL, OptionKind.DRIVE])
def test_a_year_by_the_load_profile_of_circulators_takes_its_weighted_watts(kind: OptionKind) -> None:
    """P_L,avg = 0.06 P_100 + 0.15 P_75 + 0.35 P_50 + 0.44 P_25 (EN 16297-1), over 5,000 h; what starts and stands besides is none here."""
    hours = 5000
    steps = [
        {
            "id": f"s{place}",
            "name": f"{100 * flow:.0f} %",
            "hours": f"{share * hours:.0f} h",
            "flow_share": f"{100 * flow:.0f} %",
        }
        for place, (flow, share) in enumerate(LOAD_PROFILE, 1)
    ]
    one = of_kind(PUMP, kind, duty__steps=steps)
    watts = [step.input_power.value for step in one.steps]
    assert watts == sorted(watts, reverse=True)
    average = sum(share * taken for (_, share), taken in zip(LOAD_PROFILE, watts, strict=True))
    assert one.energy.figure.value == pytest.approx(average * hours / 1000, rel=0.02)
    if (
        kind is OptionKind.CIRCULATOR_PROPORTIONAL
    ):  # the reference control curve: from H_100 straight to half of it at no flow
        heads = [step.pressure.value / one.steps[0].pressure.value for step in one.steps]
        assert heads == pytest.approx([0.5 + 0.5 * flow for flow, _ in LOAD_PROFILE], rel=1e-3)


def test_a_fan_with_a_table_of_its_own_is_solved_by_hand() -> None:
    """A table on an exact parabola p = 400 n² − 400 q² (n, q relative to 2,000 rpm and 1 m³/s): the speed has a closed form."""
    flow = np.linspace(0.05, 0.99, 20)
    curve = [
        {
            "airflow": f"{1000 * q:.4f} L/s",
            "pressure": f"{400 * (1 - q**2):.5f} Pa",
            "shaft_power": f"{500 * (0.5 + 0.5 * q):.4f} W",
        }
        for q in flow
    ]
    fan = {
        "code": "parabola", "type": "fan", "name": "parabola", "rated_power": "700 W", "rated_speed": "2,000 rpm",
        "curve_speed": "2,000 rpm", "curve": curve, "motor_kind": "electronic",
    }  # fmt: skip
    one = of_kind(KRAUSE, OptionKind.EC_FAN, own={"product": fan}, duty__system_exponent="2")
    for step, share in zip(one.steps, (1.0, 0.5), strict=True):
        q, p = 0.51 * share, 280.0 * share**2  # the duct of the job, 280 Pa at 510 L/s
        speed = 2000 * ((p + 400 * q**2) / 400) ** 0.5
        assert step.speed.value == pytest.approx(speed, rel=2e-3)  # the table is interpolated between its rows


def test_a_drive_that_is_fed_with_one_phase_may_give_half() -> None:
    drive = {
        "code": "drv",
        "type": "drive",
        "name": "three-phase drive",
        "rated_power": "400 W",
        "phases": 3,
        "rated_voltage": "110 V",
    }
    one = of_kind(KRAUSE, OptionKind.DRIVE, own={"product": drive}, fitting={**PLACE, "phases": 1})
    assert one.fits == "cannot" and "table-fit-checks-question-single-phase-drive" in codes_of(one.stop)
    large = of_kind(
        KRAUSE, OptionKind.DRIVE, own={"product": {**drive, "rated_power": "600 W"}}, fitting={**PLACE, "phases": 1}
    )
    assert large.fits != "cannot"


@pytest.mark.parametrize("load", [0.25, 0.42, 0.5, 0.75, 1.0])
@pytest.mark.parametrize("hp", [3, 5, 10, 20, 50, 100, 200, 400])
def test_drives_lose_at_part_load_what_the_handbook_s_table_says(hp: float, load: float) -> None:
    """Source: US Department of Energy, Motor Systems Tip Sheet 11. One point: the table is told in whole points."""
    loss = drive_loss_w(hp * W_PER_HP, fan_amps(load)) / (hp * W_PER_HP)
    assert load / (load + loss) == pytest.approx(drive_efficiency(hp * W_PER_HP, load), abs=0.011)


def test_a_nominal_efficiency_promises_a_tenth_more_losses_than_it_prints() -> None:
    """Source: NEMA MG 1, 12.58: the guaranteed value allows a fifth more losses than the nominal one; half of that is expected."""
    data = {"code": "ind", "type": "motor", "name": "m", "motor_kind": "three-phase", "rated_power": "1.5 kW", "rated_voltage": "400 V",
            "rated_current": "3.4 A", "rated_speed": "1,435 rpm", "frequency": "50 Hz", "phases": 3}  # fmt: skip
    nominal, stated = (
        Candidate(id="m", product=Product.model_validate(data | said))
        for said in (
            {"nominal_efficiency": "85.5 %"},
            {"least_efficiency": f"{100 / (1 + 1.1 * (1 / 0.855 - 1)):.4f} %"},
        )
    )
    motor = product_motor(nominal, MotorKind.THREE_PHASE, 400.0)
    assert isinstance(motor, FittedMotor)
    assert promised_losses(nominal, motor).value == pytest.approx(promised_losses(stated, motor).value, rel=1e-4)


DUAL: dict[str, Any] = {
    "code": "dual", "type": "motor", "name": "m", "motor_kind": "three-phase", "rated_power": "10 kW", "rated_voltage": "230 V",
    "other_voltage": "460 V", "rated_current": "36 A", "nominal_efficiency": "92.4 %", "rated_speed": "1,760 rpm", "frequency": "60 Hz", "phases": 3,
}  # fmt: skip


@pytest.mark.parametrize(
    ("measured", "volts", "amps"),
    [(None, 230, 36), (228.0, 230, 36), (208.0, 230, 36), (455.0, 460, 18), (480.0, 460, 18)],
)
def test_a_product_of_two_voltages_is_the_one_that_is_in_use(measured: float | None, volts: float, amps: float) -> None:
    """The same power on either link, so half the amps at twice the volts: definition of power."""
    product = Product.model_validate(DUAL)
    link = product.link(measured)
    assert link == (volts, pytest.approx(amps))
    stated = Product.model_validate(DUAL | {"other_current": "18.4 A"})
    assert stated.link(460.0) == (460, 18.4)
    facts = product_facts(product, MotorKind.THREE_PHASE, measured)
    assert isinstance(facts, PlateFacts) and (facts.rated_voltage_v, facts.rated_current_a) == (
        volts,
        pytest.approx(amps),
    )
    single = Product.model_validate({name: value for name, value in DUAL.items() if name != "other_voltage"})
    assert single.link(measured) == (230, 36)


def test_a_dual_voltage_product_is_solved_on_the_volts_that_are_here() -> None:
    """Typed for one link or for both, it takes the same watts at 460 V; typed wrong it was solved at half its volts."""
    machine = json.loads(files("modest_rotor.demo").joinpath("hall_supply_fan.json").read_text(encoding="utf-8"))
    volts = machine["document"]["nameplate"]["rated_voltage"]
    both = DUAL | {"rated_power": machine["document"]["nameplate"]["rated_power"], "rated_speed": machine["document"]["nameplate"]["rated_speed"],
                   "frequency": machine["document"]["nameplate"]["frequency"], "rated_voltage": "230 V", "other_voltage": volts,
                   "rated_current": f"{float(machine['document']['nameplate']['rated_current'].split()[0]) * float(volts.split()[0]) / 230:.3f} A"}  # fmt: skip
    one = {name: value for name, value in both.items() if name != "other_voltage"} | {
        "rated_voltage": volts,
        "rated_current": machine["document"]["nameplate"]["rated_current"],
    }
    taken = [of_kind(machine, OptionKind.SAME_KIND, own={"product": product}).steps[0] for product in (both, one)]
    assert taken[0].input_power.value == pytest.approx(taken[1].input_power.value, rel=1e-3)
    assert taken[0].current.value == pytest.approx(taken[1].current.value, rel=1e-3)


def test_what_differs_from_the_baseline_is_named_and_what_does_not_is_not() -> None:
    one = of_kind(KRAUSE, OptionKind.ELECTRONIC)
    assert "input_power" in one.steps[1].differs and "flow" not in one.steps[0].differs
    assert option(assessed(KRAUSE), "A").steps[0].differs == ()


def test_torque_efficiencies_and_power_factor_belong_together() -> None:
    """P = T ω; efficiency P ÷ W; wire to air q p ÷ W; W = V I λ. Definitions."""
    step = of_kind(KRAUSE, OptionKind.ELECTRONIC).steps[0]
    omega = step.speed.value * np.pi / 30
    assert step.torque.value * omega == pytest.approx(step.shaft_power.value)
    assert step.motor_efficiency.value == pytest.approx(step.shaft_power.value / step.input_power.value)
    assert step.whole_efficiency.value == pytest.approx(step.flow.value * step.pressure.value / step.input_power.value)
    assert step.power_factor.value * 110 * step.current.value == pytest.approx(step.input_power.value)


@pytest.mark.parametrize("kind", [OptionKind.RESHEAVE, OptionKind.REGULATOR, OptionKind.EC_FAN], ids=str)
def test_a_loading_filter_takes_air_from_every_setting_that_does_not_hold_it(kind: OptionKind) -> None:
    """At its own system an option moves what its first step says; on a tighter one, less, and ever less."""
    own = {"id": "one", "kind": str(kind), **({"speed_share": "95 %"} if kind is OptionKind.RESHEAVE else {})}
    asked = {"candidates": [own], "fitting": PLACE}
    one, points = option(assessed(KRAUSE, options=asked), "B"), as_loaded(KRAUSE, options=asked)["one"].points
    flows = [point.flow.value for point in points]
    assert flows[0] == pytest.approx(one.steps[0].flow.value, rel=5e-3)
    assert points[0].input_power.value == pytest.approx(one.steps[0].input_power.value, rel=5e-3)
    assert flows == sorted(flows, reverse=True) and flows[-1] < 0.9 * flows[0]


def test_a_drive_fed_with_one_phase_takes_the_amps_of_one_phase() -> None:
    """The same watts at V I λ with λ about 0.62 in place of √3 V I 0.93: 2.6 times the amps. Definition of power; common practice
    for the power factors. A three-phase motor does not make its feed three-phase."""
    machine = json.loads(files("modest_rotor.demo").joinpath("hall_supply_fan.json").read_text(encoding="utf-8"))
    three, one = (of_kind(machine, OptionKind.DRIVE, fitting={**PLACE, "phases": phases}).steps for phases in (3, 1))
    for before, after in zip(three, one, strict=True):
        assert after.input_power.value == pytest.approx(before.input_power.value, rel=1e-6)
        assert after.current.value / before.current.value == pytest.approx(3**0.5 * 0.93 / 0.62, rel=1e-3)
        assert "options-drive-one-phase" in codes_of(after.note) and "options-drive-one-phase" not in codes_of(
            before.note
        )


AGREED = {"motor_maker_agrees": "yes", "drive_maker_agrees": "yes"}


def controlled(share: str, **changes: Any) -> Any:
    return of_kind(
        KRAUSE, OptionKind.CAPACITOR_DRIVE, duty__steps__1__flow_share=share, fitting={**PLACE, **AGREED}, **changes
    ).steps[1]


def test_a_capacitor_motor_on_a_controller_follows_the_law_that_set_up_proposes() -> None:
    """Straight by default; a square law and a trim under the line take fewer volts, so fewer watts and more slip. Where its torque
    ends, the hertz are said."""
    straight, trimmed, square = (
        controlled("45 %", **{f"setup__drive__{name}": value for name, value in said.items()})
        for said in ({}, {"trim": "-8 %"}, {"shape": "square"})
    )
    assert square.input_power.value < trimmed.input_power.value < straight.input_power.value
    assert trimmed.current.value < straight.current.value
    hertz = [next(p.value for p in one.setting if not isinstance(p, str)) for one in (straight, trimmed, square)]
    assert hertz == sorted(hertz)
    ends = controlled("30 %", setup__drive__shape="square")
    assert ends.input_power is None and re.search(r"ends near \d+ Hz", ends.note)


def test_its_line_amps_fall_faster_than_its_hertz() -> None:
    """Common practice, no source: 6.3, 4.7, 1.2 and 1.0 A at 60, 50, 36 and 27 Hz on one blower, which no affinity law gives."""
    points = [
        (next(p.value for p in step.setting if not isinstance(p, str)), step.current.value)
        for step in map(controlled, ("83 %", "60 %", "45 %"))
    ]
    (h1, a1), (h2, a2), (h3, a3) = points
    assert a1 > a2 > a3 and a2 / a1 < h2 / h1 and a3 / a1 < h3 / h1


def test_a_set_read_at_its_hertz_is_evidence() -> None:
    read = {
        "id": "s2", "name": "at 36 Hz", "frequency": "36 Hz", "voltage": "66 V", "speed": "1,026 rpm", "input_power": "110 W", "current": "1.9 A",
    }  # fmt: skip
    step = controlled("60 %", readings=[KRAUSE["document"]["readings"][0], read])
    assert step.input_power.value == pytest.approx(110) and "as read in set 2" in step.note


@pytest.mark.parametrize("part", ["by a damper or valve", "it runs full all the same"])
def test_one_speed_gives_part_flow_only_where_something_throttles_it(part: str) -> None:
    """Its speed is one: with dampers a part step moves its share, without it moves all."""
    full, less = of_kind(KRAUSE, OptionKind.ONE_SPEED, duty__part_flow=part).steps
    ratio = less.flow.value / full.flow.value
    assert ratio == pytest.approx(less.demand.value / full.demand.value if part.startswith("by") else 1.0, rel=0.02)
    assert less.speed.value == pytest.approx(full.speed.value, rel=0.02)


@pytest.mark.parametrize(
    ("said", "waits"), [({"curve_speed": "2,000 rpm"}, False), ({"rated_speed": "2,000 rpm"}, False), ({}, True)]
)
def test_a_table_needs_the_speed_at_which_it_was_taken_and_the_plates_stands_for_it(
    said: dict[str, str], waits: bool
) -> None:
    rows = ((0.05, 399, 262), (0.5, 300, 375), (0.7, 204, 425), (0.99, 8, 498))
    curve = [{"airflow": f"{q * 1000} L/s", "pressure": f"{p} Pa", "shaft_power": f"{w} W"} for q, p, w in rows]
    fan = {"code": "own", "type": "fan", "name": "own", "rated_power": "700 W", "curve": curve, "motor_kind": "electronic", **said}  # fmt: skip
    full = of_kind(KRAUSE, OptionKind.EC_FAN, own={"product": fan}).steps[0]
    assert (full.input_power is None) is waits and ("own-wheel-machine" in codes_of(full.note)) is waits
