"""Volt-amperes, watts and capacitors by their definitions."""

from __future__ import annotations

import math

import pytest

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.physics.power import (
    apparent_power_va,
    capacitance_from_running_f,
    capacitor_current_a,
    capacitors_together_f,
    input_power_from_current_w,
    power_factor,
)
from tests.said import refused_with


def test_a_running_capacitor_by_the_rule_of_the_trade() -> None:
    """µF = 2,652 × amps ÷ volts at 60 Hz, 3,183 at 50 Hz: common practice, the definition with its constants worked out."""
    assert 1e6 * capacitance_from_running_f(1.4, 370.0, 60.0) == pytest.approx(2652 * 1.4 / 370, rel=3e-4)
    assert 1e6 * capacitance_from_running_f(1.4, 370.0, 50.0) == pytest.approx(3183 * 1.4 / 370, rel=3e-4)
    assert capacitor_current_a(10e-6, 370.0, 60.0) == pytest.approx(370 / (1 / (2 * math.pi * 60 * 10e-6)))


@pytest.mark.parametrize(("volts", "hertz"), [(0.0, 60.0), (-1.0, 60.0), (370.0, 0.0), (370.0, -60.0), (0.0, 0.0)])
def test_a_capacitor_without_volts_or_hertz_is_refused_in_words(volts: float, hertz: float) -> None:
    with refused_with(OutsideValidity, "power-capacitance-from-running-f"):
        capacitance_from_running_f(1.0, volts, hertz)


def test_three_phases_carry_root_three_times_as_much() -> None:
    """Line to line volts: S = √3 V I. Source: definition; 400 V and 10 A carry 6,928 VA, from memory of any electrician's table."""
    assert apparent_power_va(400.0, 10.0, 3) == pytest.approx(6928.2, abs=0.1)
    assert apparent_power_va(230.0, 10.0, 1) == 2300.0
    assert input_power_from_current_w(400.0, 10.0, 0.85, 3) == pytest.approx(0.85 * 6928.2, abs=0.1)


def test_a_power_factor_of_more_than_one_is_refused() -> None:
    assert power_factor(2300.0, 230.0, 10.0, 1) == 1.0
    for watts, volts, amps in ((2301.0, 230.0, 10.0), (-1.0, 230.0, 10.0), (0.0, 0.0, 10.0), (0.0, 230.0, 0.0)):
        with refused_with(OutsideValidity, "power-factor"):
            power_factor(watts, volts, amps, 1)
    with refused_with(OutsideValidity, "power-apparent-power-va"):
        apparent_power_va(230.0, 10.0, 2)


def test_two_capacitors_beside_each_other_add_and_behind_each_other_do_not() -> None:
    """C₁ + C₂, and C₁ C₂ ÷ (C₁ + C₂): any textbook of circuits."""
    beside, behind = capacitors_together_f(10e-6, 15e-6)
    assert beside == pytest.approx(25e-6) and behind == pytest.approx(6e-6)
