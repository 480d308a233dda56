"""Where motor and load agree: one speed or several or none, limits, machines side by side; laws as properties."""

from __future__ import annotations

from dataclasses import replace

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from scipy.optimize import brentq

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.physics import fleet
from modest_rotor.core.physics.commanded import settle_commanded
from modest_rotor.core.physics.drive import (
    Drive,
    Rectifier,
    derated_for_single_phase,
    drive_input,
    output_voltage,
)
from modest_rotor.core.physics.electronic import Command, ControlModule, ElectronicMotor, Stopping, losses_w
from modest_rotor.core.physics.fan import MachineCurve, MachineType, generic_shape, machine_from_table, resized
from modest_rotor.core.physics.load import Belt, Load
from modest_rotor.core.physics.operating_point import Condition, OperatingPoint, characteristic, settle, settle_on
from modest_rotor.core.physics.supply import Supply
from modest_rotor.core.physics.system import SystemCurve, system_through
from tests.machines import BLOWER, DUCT_1300, EVERY_KIND, FAN, PUMP, WHEEL_1300, blower_load, fan_load, fitted, rated
from tests.said import refused_with

pytestmark = pytest.mark.slow

ELECTRONIC = ElectronicMotor(373.0, 1200.0)


def condition(point: OperatingPoint) -> Condition:
    return Condition(int(point.condition))


@pytest.mark.parametrize("facts", EVERY_KIND, ids=lambda facts: str(facts.kind))
def test_every_kind_of_motor_settles_on_a_load(facts: object) -> None:
    motor = fitted(facts).motor  # type: ignore[arg-type]
    load = fan_load(0.9 * facts.rated_power_w, facts.rated_speed_rpm)  # type: ignore[attr-defined]
    point = settle(motor, rated(facts), load)  # type: ignore[arg-type]
    assert point.motor.torque_nm == pytest.approx(point.load.torque_nm, rel=1e-9)
    assert point.motor.input_power_w == pytest.approx(point.motor.shaft_power_w + point.motor.total_loss_w, rel=1e-9)
    assert 0 < point.motor.shaft_power_w / point.motor.input_power_w < 1 - point.motor.slip  # efficiency below 1 − s
    assert 0 < point.motor.power_factor <= 1 and point.motor.current_a > 0


def test_the_point_is_the_root_that_scipy_finds() -> None:
    motor, supply, load = fitted(BLOWER).motor, rated(BLOWER), blower_load()

    def surplus(slip: float) -> float:
        at = motor.at_slip(supply, slip)
        return float(at.torque_nm - load.at_motor_speed(at.speed_rpm).torque_nm)

    assert settle(motor, supply, load).motor.slip == pytest.approx(brentq(surplus, 0.01, 0.2, xtol=1e-13), rel=1e-9)


def test_one_point_and_a_fleet_go_through_the_same_code() -> None:
    motor = fitted(BLOWER).motor
    volts, lift = np.linspace(150.0, 250.0, 7), np.linspace(0.0, 90.0, 7)
    system = SystemCurve(lift, np.full(7, float(DUCT_1300.coefficient)))
    together = settle(motor, Supply(volts, 60.0), blower_load(system))
    for i in range(7):
        one = settle(motor, Supply(volts[i], 60.0), blower_load(SystemCurve(lift[i], float(DUCT_1300.coefficient))))
        for name in ("speed_rpm", "current_a", "input_power_w", "capacitor_voltage_v"):
            assert getattr(together.motor, name)[i] == pytest.approx(getattr(one.motor, name), rel=1e-9)
        assert together.load.flow[i] == pytest.approx(one.load.flow, rel=1e-9)
    known = characteristic(motor, Supply(volts, 60.0))
    assert settle_on(known, blower_load(system)).motor.speed_rpm == pytest.approx(together.motor.speed_rpm, rel=1e-12)


def test_a_motor_that_is_too_weak_stalls_and_takes_its_standstill_amps() -> None:
    point = settle(fitted(FAN).motor, Supply(30.0, 60.0), fan_load(600.0))
    assert condition(point) is Condition.STALLS
    assert point.load.flow == 0 and point.motor.current_a > 0 and abs(point.motor.speed_rpm) < 1e-9


def test_two_stable_speeds_are_said_and_the_fast_one_is_given() -> None:
    """A load whose torque stands above the pull-up of the motor: a cusp between rest and full speed. A three-phase motor of
    high reactance has one (textbook stability of drives)."""
    motor = replace(fitted(PUMP).motor, rotor_resistance=0.9, rotor_reactance=14.0, main_reactance=9.0)  # type: ignore[type-var]
    found = [
        settle(motor, rated(PUMP), replace(fan_load(1400.0, 1480.0), drag_nm=drag))
        for drag in np.linspace(0.0, 9.0, 19)
    ]
    codes = {condition(point) for point in found}
    assert {Condition.TWO_STABLE_SPEEDS, Condition.STALLS} <= codes
    for point in found:
        if condition(point) is Condition.TWO_STABLE_SPEEDS:
            assert point.slow_speed_rpm < point.motor.speed_rpm


def test_rubbing_parts_can_keep_a_motor_from_starting() -> None:
    motor, supply = fitted(FAN).motor, rated(FAN)
    start = float(motor.at_slip(supply, 1.0).torque_nm)
    freed = settle(motor, supply, replace(fan_load(80.0), drag_nm=0.0))
    rubbing = settle(motor, supply, replace(fan_load(80.0), drag_nm=1.3 * start))
    assert condition(freed) is Condition.RUNS
    assert condition(rubbing) in (Condition.WILL_NOT_START, Condition.TWO_STABLE_SPEEDS)
    assert rubbing.motor.current_a > freed.motor.current_a


def test_a_pump_below_its_lift_is_dead_headed_while_it_turns() -> None:
    machine = MachineCurve(generic_shape(MachineType.PUMP), 0.01, 100e3, 1300.0, 1.0)
    lift = SystemCurve(140e3, 1e8)  # shut-off is 125 kPa
    point = settle(fitted(PUMP).motor, rated(PUMP), Load(machine, 1435.0, lift))
    assert condition(point) is Condition.DEAD_HEADED
    assert point.load.flow == 0 and point.motor.input_power_w > 300


def test_a_wide_open_duct_beyond_the_table_is_said() -> None:
    flow = np.array([0.2, 0.3, 0.4, 0.5])
    machine = machine_from_table(MachineType.AXIAL, flow, np.array([300.0, 280.0, 240.0, 180.0]), np.full(4, 150.0))
    point = settle(fitted(FAN).motor, rated(FAN), Load(machine, 1720.0, SystemCurve(0.0, 1.0)))
    assert condition(point) is Condition.OUTSIDE_CURVE


def test_constant_airflow_holds_until_its_limit_and_says_so() -> None:
    at = [
        settle_commanded(ELECTRONIC, Command.AIRFLOW, 0.55, blower_load(DUCT_1300.tightened(k)), 230.0)
        for k in (1, 1.3, 9)
    ]
    assert [condition(point) for point in at] == [Condition.RUNS, Condition.RUNS, Condition.LIMIT_REACHED]
    assert [at[0].load.flow, at[1].load.flow] == pytest.approx([0.55, 0.55], rel=1e-9)
    assert at[2].load.flow < 0.5
    assert at[0].motor.input_power_w < at[1].motor.input_power_w  # it works harder as the filter loads


def test_constant_torque_and_speed_are_what_they_say() -> None:
    torque = settle_commanded(ELECTRONIC, Command.TORQUE, 0.7, blower_load(), 230.0)
    assert torque.motor.torque_nm == pytest.approx(0.7 * ELECTRONIC.rated_torque_nm, rel=1e-9)
    speed = settle_commanded(ELECTRONIC, Command.SPEED, 800.0, blower_load(), 230.0)
    assert speed.motor.speed_rpm == 800.0
    still = losses_w(ELECTRONIC, 0.0, 0.0)
    assert sum(still.values()) == still["control"] > ELECTRONIC.standby_w  # the control alone, with its gates awake
    many = settle_commanded(ELECTRONIC, Command.SPEED, np.array([400.0, 800.0]), blower_load(), 230.0)
    assert many.motor.input_power_w[1] == pytest.approx(speed.motor.input_power_w, rel=1e-12)
    magnet = replace(ELECTRONIC, poles=8)
    assert magnet.drive_frequency_hz(900.0) == 60.0  # n p / 120: no slip


def test_electronic_torque_is_held_back_by_its_power() -> None:
    fast = settle_commanded(
        replace(ELECTRONIC, module=ControlModule(power_limit=0.5)), Command.SPEED, 1300.0, blower_load(), 230.0
    )
    assert condition(fast) is Condition.LIMIT_REACHED
    assert fast.motor.shaft_power_w == pytest.approx(0.5 * 373.0, rel=1e-6)


@given(st.floats(0.3, 8.0), st.floats(1.02, 2.0), st.sampled_from(list(MachineType)), st.floats(0.0, 0.5))
def test_more_restriction_never_gives_more_flow(
    start: float, tighter: float, machine_type: MachineType, fixed: float
) -> None:
    motor, supply = fitted(FAN).motor, rated(FAN)
    known = characteristic(motor, supply)
    load = fan_load(150.0, 1720.0, machine_type, 150.0 * fixed)
    flows = [
        settle_on(known, replace(load, system=load.system.tightened(k))).load.flow for k in (start, start * tighter)
    ]
    assert flows[1] <= flows[0] * (1 + 1e-9)


@given(st.floats(85.0, 125.0), st.floats(1.01, 1.1))
def test_more_volts_never_turn_a_loaded_fan_slower(volts: float, more: float) -> None:
    """Within the ordinary range; far above rated volts saturation may undo it, which is why the range is stated."""
    speeds = [
        settle(fitted(FAN).motor, Supply(v, 60.0), fan_load(150.0)).motor.speed_rpm
        for v in (volts, min(volts * more, 126.5))
    ]
    assert speeds[1] >= speeds[0] - 1e-6


@given(st.floats(0.2, 1.0), st.floats(0.0, 0.6))
def test_affinity_is_exact_on_a_free_system_and_wrong_with_a_fixed_part(ratio: float, fixed: float) -> None:
    load = fan_load(150.0, 1720.0, MachineType.PUMP, 150.0 * fixed)
    full, slow = (load.at_motor_speed(1720.0 * r) for r in (1.0, ratio))
    if fixed == 0:
        assert [slow.flow, slow.machine_power_w] == pytest.approx(
            [ratio * full.flow, ratio**3 * full.machine_power_w], rel=1e-9
        )
    elif ratio < 0.95 and fixed > 0.05:
        assert slow.flow < ratio * full.flow


@given(st.floats(0.15, 1.0), st.floats(0.0, 0.5), st.sampled_from(list(MachineType)))
def test_the_speed_for_a_flow_gives_that_flow(share: float, fixed: float, machine_type: MachineType) -> None:
    load = fan_load(150.0, 1720.0, machine_type, 150.0 * fixed)
    speed, reached = load.at_flow(0.5 * share)
    if reached:
        point = load.at_motor_speed(speed)
        assert (
            point.flow == pytest.approx(0.5 * share, rel=1e-6) or point.flow > 0.5 * share
        )  # the farther of two crossings


def test_two_fans_side_by_side_and_one_idle_with_its_leak() -> None:
    """Cube law on one free system: one of two fans alone meets a quarter of the pressure at half the flow (parallel fans,
    AMCA 201); an idle fan that is open lets air back."""
    one = fan_load(150.0)
    both = Load(one.machine, 1720.0, system_through(1.0, 150.0, 0.0), running=2)
    assert both.at_motor_speed(1720.0).flow == pytest.approx(1.0)
    alone = replace(both, running=1).at_motor_speed(1720.0)
    leaking = replace(both, running=1, idle_leak=0.02).at_motor_speed(1720.0)
    assert 0.5 < alone.flow < 1.0  # further out on its curve
    assert leaking.flow < alone.flow and leaking.machine_power_w != alone.machine_power_w


def test_a_belt_changes_speed_and_costs_power() -> None:
    """4 in. on 7 in.: 1,750 rpm becomes 1,000 (inverse ratio of pitch diameters); a slipping belt loses speed, not torque."""
    belt = Belt(ratio=4 / 7)
    assert belt.machine_speed(1750.0) == pytest.approx(1000.0) and belt.motor_speed(1000.0) == pytest.approx(1750.0)
    lossy = Belt(4 / 7, slip=0.02, loss_share=0.05)
    assert lossy.motor_power(931.0) == pytest.approx(1000.0)
    direct, slipping = (
        settle(fitted(FAN).motor, rated(FAN), replace(fan_load(150.0, 1000.0), belt=b))
        for b in (belt, replace(belt, slip=0.15))
    )
    assert slipping.load.machine_rpm < direct.load.machine_rpm and slipping.motor.speed_rpm > direct.motor.speed_rpm


def test_thin_air_makes_less_pressure_and_loads_the_motor_less() -> None:
    """AMCA 201: pressure and power with density, flow unchanged; the motor then runs a little faster."""
    thick = settle(fitted(BLOWER).motor, rated(BLOWER), blower_load())
    thin = settle(
        fitted(BLOWER).motor,
        rated(BLOWER),
        replace(blower_load(DUCT_1300.tightened(0.832)), machine=resized(WHEEL_1300, density_ratio=0.832)),
    )
    assert thin.motor.current_a < thick.motor.current_a and thin.motor.speed_rpm > thick.motor.speed_rpm
    assert thin.load.place == pytest.approx(thick.load.place, rel=1e-9)


def test_a_drive_s_volts_losses_and_line_current() -> None:
    drive = Drive(1500.0, 3.4, 50.0, 400.0, exponent=1.7, boost=0.05)
    assert output_voltage(drive, 50.0) == 400.0 and output_voltage(drive, 60.0) == 400.0
    assert output_voltage(replace(drive, exponent=1.0, boost=0.0), 25.0) == pytest.approx(200.0)
    motor = fitted(PUMP).motor.at_slip(Supply(400.0, 50.0), 0.04)
    taken = drive_input(drive, motor, 400.0)
    assert taken.input_power_w == pytest.approx(motor.input_power_w + taken.harmonic_loss_w + taken.drive_loss_w)
    assert 0.92 < taken.motor_input_w / taken.input_power_w < 0.98  # drives of this size reach 93 to 97 % at full load
    single = derated_for_single_phase(drive)
    assert single.rated_power_w == 750.0 and single.rectifier is Rectifier.SINGLE_PHASE
    with refused_with(OutsideValidity, "physics-drive-derated-for-single-phase"):
        derated_for_single_phase(single)


def test_the_characteristic_passes_through_rated_load() -> None:
    known = characteristic(fitted(PUMP).motor, rated(PUMP))
    assert np.interp(1435.0, known.speed_rpm[::-1], known.torque_nm[::-1]) == pytest.approx(
        PUMP.rated_torque_nm, rel=0.06
    )


def test_a_fleet_in_blocks_is_the_fleet_at_once(monkeypatch: pytest.MonkeyPatch) -> None:
    """Forty motors of one plate on five ducts, in blocks of three, on all cores: the same to 1e-9, dead points included."""
    fit = fitted(BLOWER)
    numbers = fit.numbers + 0.5 * np.random.default_rng(4).standard_normal((40, 1, len(fit.numbers)))
    tight = np.array([0.7, 1.0, 1.6, 4.0, 40.0])
    load = Load(WHEEL_1300, 1075.0, SystemCurve(30.0 + 0 * tight, DUCT_1300.coefficient * tight))
    motor = fit.family.motor(numbers)
    monkeypatch.setattr(fleet, "BLOCK_POINTS", 15)
    whole, blocks = settle(motor, rated(BLOWER), load), fleet.settle_fleet(motor, rated(BLOWER), load)
    assert blocks.motor.speed_rpm.shape == (40, 5)
    assert blocks.motor.speed_rpm == pytest.approx(whole.motor.speed_rpm, rel=1e-9)
    assert blocks.load.flow == pytest.approx(whole.load.flow, rel=1e-9)
    assert blocks.motor.losses_w["rotor"] == pytest.approx(whole.motor.losses_w["rotor"], rel=1e-8)
    assert (blocks.condition == whole.condition).all()


def test_a_point_found_from_its_neighbour_is_the_point() -> None:
    """Saturation begun at the point itself, or at one near by: no rounding is blown up, the answer is the same."""
    motor, supply = fitted(BLOWER).motor, rated(BLOWER)
    alone = motor.at_slip(supply, 0.09)
    for near in (alone, motor.at_slip(supply, 0.095), motor.at_slip(supply, 0.09, alone)):
        again = motor.at_slip(supply, 0.09, near)
        assert again.torque_nm == pytest.approx(alone.torque_nm, rel=1e-6)
        assert again.input_power_w == pytest.approx(again.shaft_power_w + again.total_loss_w, rel=1e-9)


def test_a_module_is_replaced_without_its_motor() -> None:
    """Another module: other standby, limits, power factor and stopping; the winding's loss stays."""
    other = ControlModule(
        standby_w=6.0, loss_share=0.06, power_factor=0.95, stopping=Stopping.BRAKES, soft_start_s=15.0
    )
    swapped = replace(ELECTRONIC, module=other)
    before, after = (
        settle_commanded(motor, Command.SPEED, 900.0, blower_load(), 230.0).motor for motor in (ELECTRONIC, swapped)
    )
    assert after.losses_w["windings"] == before.losses_w["windings"]
    assert swapped.standby_w == 6.0 and after.losses_w["control"] == pytest.approx(1.3 * 6.0)
    assert after.losses_w["module"] == pytest.approx(0.06 * 373 * after.torque_nm / swapped.rated_torque_nm)
    assert after.current_a < before.current_a and swapped.module.stopping is Stopping.BRAKES


def test_efficiencies_multiply_from_the_line_to_the_air() -> None:
    point = settle(fitted(BLOWER).motor, rated(BLOWER), blower_load())
    machine_type = point.load.fluid_power_w / point.load.machine_power_w
    assert point.overall_efficiency() == pytest.approx(point.motor.efficiency * machine_type, rel=1e-9)
    assert 0 < point.overall_efficiency() < point.motor.efficiency < 1


@pytest.mark.parametrize("ratio", [0.4, 0.7, 1.0, 1.3])
@pytest.mark.parametrize("leak", [0.0, 0.004, 0.02])
def test_a_fan_beside_a_leaking_one_balances_at_every_speed(ratio: float, leak: float) -> None:
    """By the balance itself: what goes through the running fan, at the pressure that it makes there by the affinity laws (AMCA 201), is the
    system's flow at that pressure and what comes back through the one that stands, √p times its leak."""
    machine = MachineCurve(generic_shape(MachineType.BACKWARD_INCLINED), 1.0, 250.0, 400.0, 1.0)
    load = Load(machine, 1450.0, system_through(1.0, 250.0, 40.0), running=1, idle_leak=leak)
    point = load.at_motor_speed(1450.0 * ratio)
    flow, pressure = float(point.flow), float(point.pressure)
    through = flow + leak * pressure**0.5
    assert float(load.system.pressure_at(flow)) == pytest.approx(pressure, rel=1e-4)
    assert float(machine.pressure_at(np.array([through]), ratio)[0]) == pytest.approx(pressure, rel=2e-3)
