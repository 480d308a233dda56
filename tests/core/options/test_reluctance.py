"""A synchronous reluctance motor on a drive: hertz without slip, losses by class and tip sheet, less than an induction motor's."""

from __future__ import annotations

from dataclasses import replace

import pytest

from modest_rotor.core.assess import build_case, fit_job
from modest_rotor.core.job import Job
from modest_rotor.core.options.contract import Asked, Demand
from modest_rotor.core.options.drive import WAITS
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.registry import traits_of
from modest_rotor.core.options.reluctance import TOO_SMALL, Reluctance
from modest_rotor.core.options.traits import Brings
from modest_rotor.core.physics.reluctance import LEAST_POWER_W, motor_efficiency, reluctance_losses
from modest_rotor.core.standards.drives import drive_efficiency
from modest_rotor.core.standards.motors import W_PER_HP
from modest_rotor.core.stations.options import OptionKind
from modest_rotor.core.stations.product import Product
from modest_rotor.core.stations.setup import ControlMode
from tests.core.options.test_kinds import PUMP, of_kind
from tests.core.setup.test_setup_answer import HALL
from tests.core.standards.test_outside import fan_amps
from tests.jobs import assessed, changed, option
from tests.said import codes_of

pytestmark = pytest.mark.slow
STEPS = [
    {"id": f"s{share}", "name": f"{share} %", "hours": "1,000 h", "flow_share": f"{share} %"} for share in (100, 75, 50)
]
OPEN = changed(PUMP, duty__system_exponent="2", duty__steps=STEPS)


@pytest.mark.parametrize(("kilowatts", "efficiency"), [(0.75, 0.857), (1.5, 0.882), (7.5, 0.926), (11.0, 0.933)])
def test_the_motor_is_of_class_ie4(kilowatts: float, efficiency: float) -> None:
    """IEC 60034-30-1:2014, 50 Hz, four poles (from memory, a second time)."""
    assert motor_efficiency(1000 * kilowatts, 4) == pytest.approx(efficiency, abs=1e-9)


def test_between_sizes_it_lies_between_beyond_the_ends_it_stays_and_odd_pole_counts_take_the_nearest() -> None:
    assert motor_efficiency(1500, 4) < motor_efficiency(1800, 4) < motor_efficiency(2200, 4)
    assert motor_efficiency(10, 4) == motor_efficiency(120, 4)
    assert motor_efficiency(1e6, 4) == pytest.approx(0.967)  # 200 kW and more, as above
    assert motor_efficiency(1500, 8) == motor_efficiency(1500, 6) != motor_efficiency(1500, 4)


@pytest.mark.parametrize("horsepower", [5, 10, 20])
def test_losses_at_rating_are_the_motor_s_and_a_drive_s_one_size_up(horsepower: float) -> None:
    """The tip sheet's own efficiency of a drive a quarter larger at its full amps, its losses a tenth less; the motor's a twelfth up: within the straight line's error."""
    power = horsepower * W_PER_HP
    losses = reluctance_losses(power, 4)
    drive = losses.whole - 1.08 * power * (1 / motor_efficiency(power, 4) - 1)
    size = 1.25 * power
    assert drive == pytest.approx(0.9 * size * (1 / drive_efficiency(size, 1.0) - 1), rel=0.1)
    assert losses.control < drive < losses.control + losses.current
    named = reluctance_losses(power, 4, 0.95)
    assert losses.whole - named.whole == pytest.approx(1.08 * power * (1 / motor_efficiency(power, 4) - 1 / 0.95))


def test_at_half_speed_of_a_fan_it_loses_between_a_line_and_a_cube() -> None:
    """Torque a quarter, speed a half: part of the drive's loss stays, nothing of the motor's grows slower than with torque; and what stays
    of the whole is less than the amps of an induction motor on its drive would leave (textbook: its field is held, i² = i₀² + …).
    """
    losses = reluctance_losses(7460, 4)
    share = float(losses.at(0.25, 0.5)) / losses.whole
    assert 0.25**1.5 < share < fan_amps(0.125)


def test_hertz_follow_speed_without_slip_and_watts_follow_the_cube_and_the_losses() -> None:
    """f = n p ÷ 120. On a circuit without lift shaft power goes with the cube of flow; affinity laws, ANSI/HI."""
    one = of_kind(OPEN, OptionKind.RELUCTANCE)
    full = one.steps[0]
    losses = reluctance_losses(1500, 4)
    for step, share in zip(one.steps, (1.0, 0.75, 0.5), strict=True):
        hertz = next(piece for piece in step.setting if not isinstance(piece, str))
        assert hertz.quantity == "frequency" and hertz.value == pytest.approx(step.speed.value * 4 / 120, rel=1e-9)
        assert step.speed.value == pytest.approx(share * full.speed.value, rel=1e-6)
        assert step.shaft_power.value == pytest.approx(share**3 * full.shaft_power.value, rel=1e-6)
        ratio = step.speed.value / 1500
        lost = losses.at(step.shaft_power.value / 1500 / ratio, ratio)
        assert step.input_power.value == pytest.approx(step.shaft_power.value + float(lost), rel=1e-6)
    assert full.speed.value == pytest.approx(1445)


def test_it_takes_less_than_the_induction_motor_on_a_drive_and_its_uncertainty_says_what_is_not_known() -> None:
    """Of one class above the plate's and without rotor loss: common practice, no source. Uncertainty: a class bought, a drive not."""
    new, old = (of_kind(OPEN, kind).steps for kind in (OptionKind.RELUCTANCE, OptionKind.DRIVE))
    for one, other in zip(new, old, strict=True):
        assert 0.75 * other.input_power.value < one.input_power.value < other.input_power.value
        assert one.input_power.uncertainty > 0.02 * one.input_power.value


def test_without_a_plate_it_waits_and_of_a_small_one_it_is_not_made() -> None:
    job = Job.model_validate(OPEN)
    found = build_case(job, fit_job(job)).right
    assert isinstance(found, FoundMachine)
    for changes, why in (
        ({"frequency_hz": None}, WAITS), ({"poles": None}, WAITS), ({"rated_power_w": None}, WAITS),
        ({"rated_power_w": LEAST_POWER_W - 1}, TOO_SMALL), ({"rated_power_w": LEAST_POWER_W}, None),
    ):  # fmt: skip
        machine = replace(found, plate=replace(found.plate, **changes))
        assert Reluctance().solve(machine, (Demand("s1", 1.0),), Asked(None))[0].absent == why


def test_too_much_torque_asks_for_the_next_size_and_too_much_speed_is_told() -> None:
    """1,190 W at 1,445 rpm are 0.82 W a turn; 1,500 W at 1,000 rpm give 1.5, 1,500 W at 2,000 rpm 0.75."""
    product = {"code": "rr", "name": "named", "type": "motor", "rated_power": "1,500 W", "rated_speed": "1,000 rpm"}
    notes = of_kind(OPEN, OptionKind.RELUCTANCE, own={"product": product}).steps[0].note
    assert "options-electronic-noted-above-speed" in codes_of(
        notes
    ) and "options-electronic-noted-needs-torque" not in codes_of(notes)
    fast = product | {"rated_power": "1,500 W", "rated_speed": "2,000 rpm"}
    assert "options-electronic-noted-needs-torque" in codes_of(
        of_kind(OPEN, OptionKind.RELUCTANCE, own={"product": fast}).steps[0].note
    )


def test_its_traits_are_those_of_a_new_motor_on_a_three_phase_drive() -> None:
    traits = traits_of(OptionKind.RELUCTANCE)
    assert traits.brings is Brings.MOTOR and traits.on_drive and traits.synchronous and not traits.electronic
    kinds = {name: Product.model_validate({"code": "pp", "name": "p", "type": "motor", "motor_kind": name}) for name in ("three-phase", "electronic")}  # fmt: skip
    assert not any(traits.suits(product) for product in kinds.values())
    one = of_kind(OPEN, OptionKind.RELUCTANCE, fitting={"phases": 1})
    checks = {check.check for check in one.checks}
    assert {"drive_insulation", "cable", "protection", "shaft_currents", "earth_leakage", "harmonics"} <= checks
    assert "permanent_supply" not in checks and "options-drive-one-phase" in codes_of(one.steps[0].note)
    assert "step-working-formulas-n-machine-s-curve" in codes_of(one.steps[0].workings.speed.formula)
    assert "term-the-drive-s-capacitors-and" in codes_of((one.wears,))


def test_a_named_motor_s_own_poles_make_its_hertz_and_a_named_drive_rates_no_motor() -> None:
    """A six-pole motor of 50 Hz turns 1,000 rpm without slip, f = n p ÷ 120: at 1,445 rpm it takes 72 Hz where four poles take 48."""
    six = {
        "code": "rr",
        "name": "six poles",
        "type": "motor",
        "rated_power": "1,500 W",
        "rated_speed": "1,000 rpm",
        "frequency": "50 Hz",
    }
    full = of_kind(OPEN, OptionKind.RELUCTANCE, own={"product": six}).steps[0]
    hertz = next(piece.value for piece in full.setting if not isinstance(piece, str))
    assert hertz == pytest.approx(full.speed.value * 6 / 120)
    large = {"code": "dd", "name": "a drive of 3 kW", "type": "drive", "rated_power": "3 kW"}
    bare, driven = (of_kind(OPEN, OptionKind.RELUCTANCE, own=own).steps[0] for own in ({}, {"product": large}))
    assert driven.input_power == bare.input_power


def test_set_up_never_asks_for_volts_per_hertz_on_it() -> None:
    """It falls out of step; what the old motor's plate says of volts is not the new one's. Common practice, no source."""
    candidates = [{"id": "srm", "kind": "reluctance", "price": "900"}]
    hall = changed(HALL, options__candidates=candidates, decision__chosen="srm")
    said = assessed(hall).setup
    assert said.drive and said.drive.mode is ControlMode.RELUCTANCE and not said.stops
    assert said.drive.volts_per_hertz.figure is None and said.drive.base_voltage is None
    assert "drive_control" in {check.check for check in option(assessed(hall), "B").checks}
    wrong = assessed(changed(hall, setup__drive__mode="volts-per-hertz")).setup
    step = next(one for one in wrong.steps if one.step == "drive_settings")
    assert step.stopped and "setup-steps-stop-reluctance-motor" in codes_of(step.stop) and wrong.stops
    kept = assessed(HALL).setup  # the motor that stays goes on as before
    assert kept.drive and kept.drive.mode is ControlMode.VOLTS_PER_HERTZ and kept.drive.volts_per_hertz.figure
