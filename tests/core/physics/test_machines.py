"""Solved motors against textbooks, and against an integration in time that knows no phasors."""

from __future__ import annotations

import math
from dataclasses import replace

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from opendssdirect import dss
from scipy.integrate import solve_ivp
from scipy.optimize import brentq

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.physics.operating_point import InductionMotor
from modest_rotor.core.physics.supply import Supply
from modest_rotor.core.physics.three_phase import ThreePhaseMotor, backward_field, pull_out, solve_three_phase
from modest_rotor.core.physics.two_axis import Auxiliary, TwoAxisMotor, solve_two_windings
from tests.machines import PUMP, fitted
from tests.said import refused_with

SYNCHRONOUS = 2 * math.pi * 30
"""Four poles at 60 Hz, rad/s."""
BOOK = Supply(voltage=110.0, frequency=60.0)


def capacitor_of(reactance: float, hertz: float = 60.0) -> float:
    return 1 / (2 * math.pi * hertz * reactance)


# Krause, Wasynczuk and Sudhoff, Analysis of Electric Machinery: 1/4 hp, 110 V, 60 Hz, four poles, a = 1.18.
KRAUSE = TwoAxisMotor(
    4, 110.0, 60.0, 2.02, 2.79, 66.8, 4.12, 2.12, turns_ratio=1.18, auxiliary_resistance=7.14, auxiliary_reactance=3.22,
    capacitance=capacitor_of(172.0), capacitor_resistance=9.0,
)  # fmt: skip
RUN, START = KRAUSE, replace(KRAUSE, capacitance=capacitor_of(14.5), capacitor_resistance=3.0)


@pytest.mark.parametrize(
    ("motor", "slip", "torque", "main", "auxiliary", "line", "watts", "capacitor"),
    [  # the book's machine, solved by phasors, symmetrical components and time integration; six figures agree
        (RUN, 0.02, 0.53202431, 2.1589742, 0.98831097, 1.9012065, 128.56517, 169.98949),
        (RUN, 0.05, 1.22753, 2.7343068, 0.93095258, 2.8795816, 265.78105, 160.12384),
        (RUN, 0.10, 2.0766733, 4.3515398, 0.84533999, 4.6539967, 464.79294, 145.39848),
        (START, 0.05, 0.26206657, 7.7083307, 8.6030736, 13.850262, 1520.7365, 124.74457),
        (START, 0.20, 3.5535452, 9.1773051, 6.5014759, 15.478517, 1672.4008, 94.271401),
        (START, 1.00, 3.9980194, 14.166265, 6.2868837, 17.487812, 1792.3758, 91.159813),
    ],
)  # fmt: skip
def test_krause_quarter_horse(
    motor: TwoAxisMotor,
    slip: float,
    torque: float,
    main: float,
    auxiliary: float,
    line: float,
    watts: float,
    capacitor: float,
) -> None:
    point = motor.at_slip(BOOK, slip)
    currents = [point.main_current_a, point.auxiliary_current_a, point.current_a]
    assert [point.torque_nm, *currents] == pytest.approx([torque, main, auxiliary, line], rel=1e-4)
    assert [point.input_power_w, point.capacitor_voltage_v] == pytest.approx([watts, capacitor], rel=1e-4)
    assert point.shaft_power_w == pytest.approx(torque * SYNCHRONOUS * (1 - slip), rel=1e-4)
    assert point.power_factor == pytest.approx(watts / 110 / line, rel=1e-4)


def test_krause_on_its_main_winding_alone() -> None:
    """The same machine with its auxiliary open; equals the single-phase circuit of Fitzgerald, ch. 9, without losses."""
    point = replace(KRAUSE, auxiliary=Auxiliary.SWITCHED_OFF).at_slip(BOOK, 0.05)
    assert [point.torque_nm, point.current_a] == pytest.approx([1.0299703, 3.604861], rel=1e-4)


def test_krause_on_four_tenths_of_its_volts() -> None:
    """The same machine on a fan at 44 V of regulated volts turns 1,007 rpm and takes 171 W for 45 W: solved two ways."""
    slip = 1 - 1007.1559 / 1800
    point = KRAUSE.at_slip(Supply(44.0, 60.0), slip)
    assert [point.shaft_power_w, point.input_power_w, point.current_a] == pytest.approx(
        [44.911613, 170.9707, 4.6074483], rel=1e-4
    )


def test_fitzgerald_unbalanced_two_phase() -> None:
    """Fitzgerald, Kingsley and Umans, Electric Machinery, example on unbalanced two-phase operation: 230 and 210 V, 80°
    apart, slip 0.05; 4,149 W forward, 3,927 W mechanical (from memory)."""
    motor = TwoAxisMotor(
        4,
        230.0,
        60.0,
        0.534,
        2.45,
        70.1,
        0.956,
        2.96,
        auxiliary_resistance=0.534,
        auxiliary_reactance=2.45,
        capacitance=1.0,
    )  # a farad of capacitor is none: its own 0.003 Ω lies below the printed figures
    leading = 210 * np.exp(1j * math.radians(80))
    point = solve_two_windings(motor, Supply(230.0, 60.0), 0.05, 230 + 0j, leading)
    assert point.shaft_power_w == pytest.approx(3927.5765, rel=1e-3)
    turned = solve_two_windings(motor, Supply(230.0, 60.0), 0.05, 230 + 0j, np.conj(leading))
    assert turned.shaft_power_w < 0  # the other sequence drives the rotor backward


def test_fitzgerald_split_capacitor_motor() -> None:
    """Same book, example of a split-capacitor motor: 230 V, 60 Hz, two poles, 35 µF, 3,500 rpm; main 15.9, auxiliary 5.2,
    line 18.5 A, 9.74 N·m (from memory; its mutual inductances to the rotor are referred to the main winding here)."""
    w, l_r, r_r = 2 * math.pi * 60, 4.7e-6, 3.76e-5
    l_mr, l_ar, l_m, l_a = 5.88e-4, 9.09e-4, 0.0806, 0.196
    a, k2 = l_ar / l_mr, (l_mr / l_r) ** 2
    x_m = w * l_mr**2 / l_r  # all rotor leakage lies in the stators' own inductances in this frame
    motor = TwoAxisMotor(
        2,
        230.0,
        60.0,
        0.58,
        w * l_m - x_m,
        x_m,
        k2 * r_r,
        0.0,
        turns_ratio=a,
        auxiliary_resistance=3.37,
        auxiliary_reactance=w * l_a - a**2 * x_m,
        capacitance=35e-6,
    )
    point = motor.at_slip(Supply(230.0, 60.0), 1 - 3500 / 3600)
    assert [point.current_a, point.torque_nm] == pytest.approx([18.545977, 9.7458862], rel=1e-3)
    assert point.input_power_w == pytest.approx(3935.7848, rel=1e-3)


# Chapman, Electric Machinery Fundamentals, the 25 hp, 460 V machine of the chapter on induction motors; values by an exact
# phasor solution, also by OpenDSS's IndMach012 and by motulator's integration in time.
CHAPMAN = ThreePhaseMotor(
    4, 460.0, 60.0, 0.641, 1.106, 26.3, 0.332, 0.464, friction_nm=1100 / SYNCHRONOUS / (1 - 0.022)
)


def test_chapman_twenty_five_horse() -> None:
    point = CHAPMAN.at_slip(Supply(460.0, 60.0), 0.022)
    assert [point.current_a, point.power_factor] == pytest.approx([18.8919, 0.8321], rel=1e-4)
    assert [point.input_power_w, point.shaft_power_w] == pytest.approx([12525.137, 11578.353 - 1100], rel=1e-4)


@pytest.mark.parametrize(
    ("hertz", "volts", "speed", "shaft", "watts", "amps"),
    [  # constant volts per hertz, load torque with speed squared, rotational loss 1,100 W × (n/n_r)³
        (30, 230.0, 882.20954, 2495.3332, 2970.2503, 11.945239), (45, 345.0, 1309.119, 8153.6234, 9604.3463, 19.078814),
        (50, 383.33333, 1449.0283, 11057.168, 13103.115, 22.593392),
    ],
)  # fmt: skip
def test_chapman_on_a_drive(hertz: float, volts: float, speed: float, shaft: float, watts: float, amps: float) -> None:
    slip = 1 - speed / (30 * hertz)
    friction = 1100 * (speed / 1724.6339) ** 3 / (speed * math.pi / 30)
    point = replace(CHAPMAN, friction_nm=friction).at_slip(Supply(volts, float(hertz)), slip)
    assert [point.shaft_power_w, point.input_power_w, point.current_a] == pytest.approx([shaft, watts, amps], rel=1e-3)


def test_opendss_agrees_on_another_three_phase_machine() -> None:
    """OpenDSS's induction machine (IndMach012) solves the same circuit by symmetrical components."""
    motor = ThreePhaseMotor(4, 460.0, 60.0, 0.5, 1.0, 30.0, 0.4, 1.0)
    slip = 0.03
    base = 460.0**2 / 10e3
    dss.Text.Command("Clear")
    dss.Text.Command(
        "New Circuit.c basekv=0.46 pu=1 phases=3 bus1=b r1=1e-6 x1=1e-6 r0=1e-6 x0=1e-6 mvasc3=1e9 mvasc1=1e9"
    )
    dss.Text.Command(
        f"New IndMach012.m phases=3 bus1=b kV=0.46 kW=1 kVA=10 puRs={0.5 / base} puXs={1 / base} puRr={0.4 / base}"
        f" puXr={1 / base} puXm={30 / base} Slip={slip} SlipOption=FixedSlip"
    )
    dss.Text.Command("Set Voltagebases=[0.46]")
    dss.Text.Command("CalcVoltageBases")
    dss.Solution.Solve()
    dss.Circuit.SetActiveElement("IndMach012.m")
    watts = 1000 * sum(dss.CktElement.Powers()[0:6:2])
    assert motor.at_slip(Supply(460.0, 60.0), slip).input_power_w == pytest.approx(watts, rel=1e-3)


def _in_time(slip: float) -> tuple[float, float]:
    """Mean torque and input power of the Krause machine by integrating its flux linkages in time; no phasor is used.

    Stationary axes with actual windings, rotor referred to the main; the capacitor with its resistance in series.
    """
    w, speed, a = 2 * math.pi * 60, (1 - slip) * 2 * math.pi * 60, 1.18
    lm, l1, l2, la = 66.8 / w, 2.79 / w, 2.12 / w, 3.22 / w
    main = np.array([[l1 + lm, lm], [lm, l2 + lm]])
    aux = np.array([[la + a**2 * lm, a * lm], [a * lm, l2 + lm]])
    inverse_main, inverse_aux = np.linalg.inv(main), np.linalg.inv(aux)
    resistance, capacitor = 7.14 + 9.0, 1 / (w * 172.0)

    def change(t: float, y: np.ndarray) -> np.ndarray:
        i_m, i_rm = inverse_main @ y[:2]
        i_a, i_ra = inverse_aux @ y[2:4]
        v = math.sqrt(2) * 110 * math.cos(w * t)
        return np.array(
            [
                v - 2.02 * i_m,
                -4.12 * i_rm + speed * y[3],
                v - resistance * i_a - y[4],
                -4.12 * i_ra - speed * y[1],
                i_a / capacitor,
            ]
        )

    cycles, per_cycle = 40, 400
    times = np.linspace((cycles - 4) / 60, cycles / 60, 4 * per_cycle + 1)
    found = solve_ivp(change, (0, cycles / 60), np.zeros(5), t_eval=times, rtol=1e-9, atol=1e-9, method="DOP853").y
    (i_m, i_rm), (i_a, i_ra) = inverse_main @ found[:2], inverse_aux @ found[2:4]
    torque = 2 * (found[1] * i_ra - found[3] * i_rm)  # two pole pairs
    watts = math.sqrt(2) * 110 * np.cos(w * times) * (i_m + i_a)
    return abs(float(np.mean(torque[:-1]))), float(np.mean(watts[:-1]))


@pytest.mark.slow
@pytest.mark.parametrize("slip", [0.05, 0.3])
def test_phasors_against_an_integration_in_time(slip: float) -> None:
    torque, watts = _in_time(slip)
    point = KRAUSE.at_slip(BOOK, slip)
    assert abs(point.torque_nm) == pytest.approx(torque, rel=1e-4)
    assert point.input_power_w == pytest.approx(watts, rel=1e-4)


positive = st.floats(0.2, 5.0)
ONE = st.floats(0.0, 1.0)


@given(
    st.lists(positive, min_size=8, max_size=8),
    st.floats(0.005, 1.9),
    st.floats(50, 300),
    st.lists(ONE, min_size=8, max_size=8),
)
def test_every_watt_is_accounted_for(values: list[float], slip: float, volts: float, more: list[float]) -> None:
    """Input is shaft power and named losses, to rounding: any machine, tap, regulator, temperature, saturation, ring."""
    r1, x1, r2, x2, ra, xa, a, c = values
    tap, line, series, choke, warm, friction, saturation, core = more
    motor = TwoAxisMotor(
        4,
        200.0,
        60.0,
        r1,
        x1,
        20 * x1,
        r2,
        x2,
        core / 400,
        friction,
        0.1,
        saturation,
        6.0,
        a,
        ra,
        xa,
        c * 1e-5,
        0.3,
        1.3,
    )
    supply = Supply(volts, 55.0, 10 * series, 10 * choke, tap, line, 20 + 100 * warm, 120 - 100 * warm, 0.7)
    motors: list[TwoAxisMotor | ThreePhaseMotor] = [motor, replace(motor, auxiliary=Auxiliary.SHORTED, tilt=0.4)]
    motors.append(ThreePhaseMotor(4, 200.0, 60.0, r1, x1, 20 * x1, r2, x2, core / 400, friction, 0.1, saturation))
    for machine in motors:
        point = machine.at_slip(supply, slip)
        assert point.input_power_w == pytest.approx(point.shaft_power_w + point.total_loss_w, rel=1e-9, abs=1e-9)


def test_many_motors_and_slips_are_solved_as_one() -> None:
    """A single number and an array go through the same equations: 1e-9, the rounding of another order of operations."""
    slips = np.linspace(0.01, 1.0, 50)
    saturated = replace(KRAUSE, saturation=0.4, core_conductance=1e-3)
    together = saturated.at_slip(BOOK, slips).torque_nm
    singly = [saturated.at_slip(BOOK, float(slip)).torque_nm for slip in slips]
    assert together == pytest.approx(singly, rel=1e-9)


def test_saturation_settles_where_reactance_and_flux_agree() -> None:
    """The accelerated fixed point against plain iteration carried on for long."""
    from modest_rotor.core.physics.fields import saturated_reactance, settle_saturation

    def flux_at(reactance: float) -> float:
        return 0.95 * reactance / (reactance + 12.0)

    plain = 80.0
    for _ in range(200):
        plain = saturated_reactance(80.0, 0.5, 6.0, flux_at(plain))
    assert settle_saturation(80.0, 0.5, 6.0, flux_at) == pytest.approx(plain, rel=1e-6)


def test_a_tap_weakens_the_field_and_leaves_synchronous_speed_alone() -> None:
    motor = replace(KRAUSE, friction_nm=0.02)
    for in_line in (0.0, 1.0):
        low = Supply(110.0, 60.0, tap=0.5, tap_in_line=in_line)
        assert motor.synchronous_rpm(low) == 1800
        assert motor.at_slip(low, 0.05).torque_nm < 0.7 * motor.at_slip(BOOK, 0.05).torque_nm


@given(st.floats(0.02, 0.2), st.floats(60.0, 120.0))
def test_torque_grows_with_volts(slip: float, volts: float) -> None:
    """At one slip, without saturation, torque goes as volts squared: the definition of a linear circuit."""
    one, other = (KRAUSE.at_slip(Supply(v, 60.0), slip).torque_nm for v in (volts, 1.1 * volts))
    assert other == pytest.approx(1.21 * one, rel=1e-9)


def test_a_shaded_pole_motor_turns_toward_its_rings_and_starts() -> None:
    motor = TwoAxisMotor(
        4, 230.0, 50.0, 230.0, 190.0, 1300.0, 210.0, 190.0, turns_ratio=-0.84, auxiliary_resistance=560.0, tilt=0.55,
        auxiliary=Auxiliary.SHORTED,
    )  # fmt: skip
    supply = Supply(230.0, 50.0)
    assert motor.at_slip(supply, 1.0).torque_nm > 0
    assert replace(motor, turns_ratio=0.84).at_slip(supply, 1.0).torque_nm < 0


def test_slips_outside_the_circuit_are_refused_in_words() -> None:
    for slip in (0.0, 2.0, -0.1):
        with refused_with(OutsideValidity, "two-axis-refuse-slip-asked"):
            KRAUSE.at_slip(BOOK, slip)
        with refused_with(OutsideValidity, "three-phase-solve-three-phase"):
            CHAPMAN.at_slip(Supply(460.0, 60.0), slip)


def test_below_its_switch_speed_a_split_phase_motor_is_refused_with_the_reason() -> None:
    motor = replace(KRAUSE, auxiliary=Auxiliary.SWITCHED_OFF)
    with refused_with(OutsideValidity, "two-axis-refuse-synchronous-speed"):
        motor.at_slip(BOOK, 0.4)


@pytest.mark.parametrize(
    ("motor", "supply", "words"),
    [
        (KRAUSE, Supply(0.0, 60.0), "0 V at 60 Hz"), (KRAUSE, Supply(110.0, 0.0), "110 V at 0 Hz"),
        (replace(KRAUSE, capacitance=0.0), Supply(110.0, 60.0), "0 µF is open"),
        (KRAUSE, Supply(110.0, 60.0, capacitor_health=np.array([1.0, 0.0])), "0 µF is open"),
        (fitted(PUMP).motor, Supply(-400.0, 50.0), "-400 V at 50 Hz"),
    ],
)  # fmt: skip
def test_what_no_motor_runs_on_is_refused_in_a_sentence(motor: InductionMotor, supply: Supply, words: str) -> None:
    with pytest.raises(OutsideValidity, match=words):
        motor.at_slip(supply, 0.05)


@pytest.mark.parametrize(("volts", "slip"), [(400.0, 0.03), (440.0, 0.005), (360.0, 0.05), (470.0, 0.001)])
def test_the_iron_of_one_three_phase_motor_settles_where_its_flux_says(volts: float, slip: float) -> None:
    """X = X_m ÷ (1 + k φⁿ) with the flux that X itself leads to: the fixed point by SciPy's bracketing root, one motor at a time."""
    motor = ThreePhaseMotor(4, 400.0, 50.0, 3.2, 4.4, 95.0, 4.4, 2.9, saturation=0.35, saturation_exponent=6.0)
    at = solve_three_phase(motor, Supply(volts, 50.0), slip)

    def excess(reactance: float) -> float:
        linear = replace(motor, magnetising_reactance=reactance, saturation=0.0)
        flux = float(solve_three_phase(linear, Supply(volts, 50.0), slip).flux)
        return reactance - 95.0 / (1 + 0.35 * flux**6.0)

    settled = brentq(excess, 5.0, 95.0)
    same = solve_three_phase(replace(motor, magnetising_reactance=settled, saturation=0.0), Supply(volts, 50.0), slip)
    assert float(at.current_a) == pytest.approx(float(same.current_a), rel=2e-3)
    assert float(at.flux) == pytest.approx(float(same.flux), rel=2e-3)
    free = solve_three_phase(replace(motor, saturation=0.0), Supply(volts, 50.0), slip)
    assert float(at.current_a) > float(free.current_a), "iron that saturates takes more"


@pytest.mark.parametrize("unbalance", [0.005, 0.02, 0.05])
@pytest.mark.parametrize("slip", [0.02, 0.05, 0.5, 0.99])
def test_the_backward_field_brakes_by_the_torque_in_its_gap(slip: float, unbalance: float) -> None:
    """Held against Thevenin's equivalent, T = 3 V_th² (R_2/s′) ÷ (ω_s ((R_th + R_2/s′)² + (X_th + X_2)²)) at s′ = 2 − s on the backward
    volts (Fitzgerald, Kingsley and Umans, ch. 6): it grows as the square of the unbalance, and friction is no part of it. Core loss,
    stray loss and saturation are left out of the formula: 3 %."""
    motor = ThreePhaseMotor(
        poles=4, rated_voltage=400.0, rated_frequency=50.0, main_resistance=1.9, main_reactance=2.9, magnetising_reactance=75.0,
        rotor_resistance=1.7, rotor_reactance=2.9, core_conductance=1e-6, friction_nm=0.4, stray_resistance=0.0,
        saturation=0.0, saturation_exponent=6.0,
    )  # fmt: skip
    supply = Supply(400.0, 50.0)
    _, braking = backward_field(motor, supply, slip, unbalance)
    own, gap = 1.9 + 2.9j, 75.0j
    behind = own * gap / (own + gap)
    volts = unbalance * 400.0 / math.sqrt(3) * abs(gap / (own + gap))
    rotor = 1.7 / (2 - slip)
    around = (behind.real + rotor) ** 2 + (behind.imag + 2.9) ** 2
    assert float(np.ravel(braking)[0]) == pytest.approx(3 * volts**2 * rotor / (100 * math.pi / 2 * around), rel=0.03)
    doubled = float(np.ravel(backward_field(motor, supply, slip, 2 * unbalance)[1])[0])
    assert doubled == pytest.approx(4 * float(np.ravel(braking)[0]), rel=1e-6)


@pytest.mark.parametrize("hertz", [15.0, 60.0, 90.0])
def test_pull_out_is_the_greatest_torque_of_the_whole_circuit_at_any_hertz(hertz: float) -> None:
    """Every slip of the equivalent circuit tried, written out with complex impedances; volts in proportion to hertz."""
    motor = ThreePhaseMotor(
        poles=4, rated_voltage=220.0, rated_frequency=60.0, main_resistance=0.294, main_reactance=0.503, magnetising_reactance=13.25,
        rotor_resistance=0.144, rotor_reactance=0.209, core_conductance=0.0, friction_nm=0.0, stray_resistance=0.0,
    )  # fmt: skip
    volts, share = 220.0 * hertz / 60, hertz / 60
    slip = np.linspace(0.005, 1.0, 200_000)
    rotor = 0.144 / slip + 1j * 0.209 * share
    gap = 1 / (1 / rotor + 1 / (1j * 13.25 * share))
    current = volts / math.sqrt(3) / (0.294 + 1j * 0.503 * share + gap)
    torque = 3 * abs(current * gap / rotor) ** 2 * 0.144 / slip / (4 * math.pi * hertz / 4)
    greatest, at = pull_out(motor, Supply(volts, hertz))
    assert greatest == pytest.approx(torque.max(), rel=1e-5) and at == pytest.approx(slip[torque.argmax()], rel=1e-3)
