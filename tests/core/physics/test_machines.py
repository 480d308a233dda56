"""Solved machines against textbooks, and against an integration in time that knows no phasors."""

from __future__ import annotations

import math

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from scipy.integrate import solve_ivp

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.physics.split_capacitor import SplitCapacitorMotor, solve_split_capacitor, solve_two_windings

SYNCHRONOUS = 2 * math.pi * 30
"""Four poles at 60 Hz, rad/s."""


def krause(capacitor: complex) -> SplitCapacitorMotor:
    """Krause, Wasynczuk and Sudhoff, Analysis of Electric Machinery: 1/4 hp, 110 V, 60 Hz, four poles, a = 1.18."""
    return SplitCapacitorMotor(
        *(np.array(value) for value in (2.02, 2.79, 66.8, 4.12, 2.12, 1.18, 7.14, 3.22, capacitor, np.inf, SYNCHRONOUS))
    )


RUN, START = 9 - 172j, 3 - 14.5j


@pytest.mark.parametrize(
    ("capacitor", "slip", "torque", "main", "auxiliary", "line", "watts"),
    [  # the book's machine, solved by phasors, symmetrical components and time integration; six figures agree
        (RUN, 0.02, 0.53202431, 2.1589742, 0.98831097, 1.9012065, 128.56517),
        (RUN, 0.05, 1.22753, 2.7343068, 0.93095258, 2.8795816, 265.78105),
        (RUN, 0.10, 2.0766733, 4.3515398, 0.84533999, 4.6539967, 464.79294),
        (START, 0.05, 0.26206657, 7.7083307, 8.6030736, 13.850262, 1520.7365),
        (START, 0.20, 3.5535452, 9.1773051, 6.5014759, 15.478517, 1672.4008),
        (START, 1.00, 3.9980194, 14.166265, 6.2868837, 17.487812, 1792.3758),
    ],
)  # fmt: skip
def test_krause_quarter_horse(
    capacitor: complex, slip: float, torque: float, main: float, auxiliary: float, line: float, watts: float
) -> None:
    point = solve_split_capacitor(krause(capacitor), np.array(slip), np.array(110.0))
    currents = [abs(i.item()) for i in (point.main_current, point.auxiliary_current, point.line_current)]
    assert [point.torque_nm.item(), *currents] == pytest.approx([torque, main, auxiliary, line], rel=1e-4)
    assert point.input_power_w.item() == pytest.approx(watts, rel=1e-4)
    assert point.mechanical_power_w.item() == pytest.approx(torque * SYNCHRONOUS * (1 - slip), rel=1e-4)


def test_fitzgerald_unbalanced_two_phase() -> None:
    """Fitzgerald, Kingsley and Umans, Electric Machinery, example on unbalanced two-phase operation: 230 and 210 V, 80°
    apart, slip 0.05; 4,149 W forward, 3,927 W mechanical (from memory)."""
    values = (0.534, 2.45, 70.1, 0.956, 2.96, 1.0, 0.534, 2.45, 0j, np.inf, SYNCHRONOUS)
    motor = SplitCapacitorMotor(*(np.array(value) for value in values))
    leading = 210 * np.exp(1j * math.radians(80))
    point = solve_two_windings(motor, np.array(0.05), np.array(230 + 0j), np.array(leading))
    assert point.mechanical_power_w.item() == pytest.approx(3927.5765, rel=1e-3)
    turned = solve_two_windings(motor, np.array(0.05), np.array(230 + 0j), np.array(np.conj(leading)))
    assert turned.mechanical_power_w.item() < 0  # the other sequence drives the rotor backward


def test_fitzgerald_split_capacitor_motor() -> None:
    """Same book, example of a split-capacitor motor: 230 V, 60 Hz, two poles, 35 µF, 3,500 rpm; main 15.9, auxiliary 5.2,
    line 18.5 A, 9.74 N·m (from memory; its mutual inductances to the rotor are referred to the main winding here)."""
    w, l_r, r_r = 2 * math.pi * 60, 4.7e-6, 3.76e-5
    l_mr, l_ar, l_m, l_a = 5.88e-4, 9.09e-4, 0.0806, 0.196
    a, k2 = l_ar / l_mr, (l_mr / l_r) ** 2
    x_m = w * l_mr**2 / l_r  # all rotor leakage lies in the stators' own inductances in this frame
    motor = SplitCapacitorMotor(
        *(np.array(v) for v in (0.58, w * l_m - x_m, x_m, k2 * r_r, 0.0, a, 3.37, w * l_a - a**2 * x_m)),
        np.array(-1j / (w * 35e-6)), np.array(np.inf), np.array(w),
    )  # fmt: skip
    point = solve_split_capacitor(motor, np.array(1 - 3500 / 3600), np.array(230.0))
    assert abs(point.line_current.item()) == pytest.approx(18.545977, rel=1e-3)
    assert point.torque_nm.item() == pytest.approx(9.7458862, rel=1e-3)
    assert point.input_power_w.item() == pytest.approx(3935.7848, rel=1e-3)


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


@pytest.mark.parametrize("slip", [0.05, 0.3])
def test_phasors_against_an_integration_in_time(slip: float) -> None:
    torque, watts = _in_time(slip)
    point = solve_split_capacitor(krause(RUN), np.array(slip), np.array(110.0))
    assert abs(point.torque_nm.item()) == pytest.approx(torque, rel=1e-4)
    assert point.input_power_w.item() == pytest.approx(watts, rel=1e-4)


positive = st.floats(0.2, 5.0)


@given(st.lists(positive, min_size=8, max_size=8), st.floats(0.005, 1.9), st.floats(50, 300))
def test_every_watt_is_accounted_for(values: list[float], slip: float, volts: float) -> None:
    """Input is mechanical power and copper and core losses, to rounding, for any machine."""
    r1, x1, r2, x2, ra, xa, a, zc = values
    motor = SplitCapacitorMotor(
        *(np.array(v) for v in (r1, x1, 20 * x1, r2, x2, a, ra, xa)), np.array(zc - 30j), np.array(400.0), np.array(100.0)
    )  # fmt: skip
    point = solve_split_capacitor(motor, np.array(slip), np.array(volts))
    sinks = point.mechanical_power_w + point.copper_loss_w + point.core_loss_w
    assert point.input_power_w.item() == pytest.approx(sinks.item(), rel=1e-9)


def test_many_motors_and_slips_are_solved_as_one() -> None:
    slips = np.linspace(0.01, 1.0, 50)
    together = solve_split_capacitor(krause(RUN), slips, np.array(110.0)).torque_nm
    singly = [solve_split_capacitor(krause(RUN), np.array(slip), np.array(110.0)).torque_nm.item() for slip in slips]
    assert together == pytest.approx(singly, rel=1e-12)


def test_slips_outside_the_circuit_are_refused() -> None:
    for slip in (0.0, 2.0, -0.1):
        with pytest.raises(OutsideValidity, match="slip"):
            solve_split_capacitor(krause(RUN), np.array(slip), np.array(110.0))
