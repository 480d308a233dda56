"""The core against live libraries and published curves: psychrolib and CoolProp for air and water, SciPy for roots and statistics,
the part-load curves of building standards for fans on drives and behind dampers."""

from __future__ import annotations

import math
from itertools import pairwise

import numpy as np
import psychrolib
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from scipy import stats
from scipy.optimize import brentq, curve_fit

from modest_rotor.core.drift.judge import CHI_SQUARED
from modest_rotor.core.estimate import COVERAGE_95, normal_share
from modest_rotor.core.options.contract import OptionKind
from modest_rotor.core.physics.fan import MachineCurve, MachineType, flow_for_pressure, generic_shape
from modest_rotor.core.physics.medium import air_density, air_heat_per_flow, standard_pressure_pa, water_properties
from modest_rotor.core.physics.system import fit_system
from modest_rotor.core.setup.balancing import Outcome, Tried, advise
from modest_rotor.core.standards.motors import voltage_unbalance
from tests.core.coolprop import of_moist_air, of_water
from tests.core.options.test_kinds import of_kind
from tests.core.rules.test_safety import THREE_PHASE_FAN

psychrolib.SetUnitSystem(psychrolib.SI)
ALTITUDES_M = (0.0, 150.0, 610.0, 1500.0, 2400.0, 3000.0)


@pytest.mark.parametrize("metres", ALTITUDES_M)
def test_pressure_of_a_height_is_psychrolib_s(metres: float) -> None:
    assert standard_pressure_pa(metres) == pytest.approx(psychrolib.GetStandardAtmPressure(metres), rel=2e-4)


@pytest.mark.parametrize("celsius", [-10.0, 5.0, 20.0, 35.0])
@pytest.mark.parametrize("humidity", [0.0, 0.004, 0.012])
@pytest.mark.parametrize("metres", ALTITUDES_M[::2])
def test_density_of_moist_air_is_psychrolib_s(celsius: float, humidity: float, metres: float) -> None:
    pressure = psychrolib.GetStandardAtmPressure(metres)
    again = psychrolib.GetMoistAirDensity(celsius, humidity, pressure)
    assert air_density(celsius, pressure, humidity) == pytest.approx(again, rel=1e-3), "the ideal gas, to a thousandth"


@pytest.mark.slow
@pytest.mark.parametrize(("celsius", "humidity"), [(10.0, 0.0), (21.1, 0.0), (21.1, 0.01), (40.0, 0.015)])
def test_heat_of_a_flow_of_air_is_coolprop_s(celsius: float, humidity: float) -> None:
    """Enthalpy of moist air a kelvin apart over its volume, by real gases: 0.5 %."""
    at = ("T", celsius + 273.15, "P", 101_325.0, "W", humidity)
    up = ("T", celsius + 274.15, "P", 101_325.0, "W", humidity)
    per_volume = (of_moist_air("H", *up) - of_moist_air("H", *at)) / of_moist_air("V", *at)
    assert air_heat_per_flow(celsius, 101_325.0, humidity) == pytest.approx(per_volume, rel=5e-3)


@pytest.mark.slow
@pytest.mark.parametrize("celsius", [2.5, 7.0, 22.0, 44.0, 63.0, 85.0])
def test_water_between_the_rows_is_coolprop_s(celsius: float) -> None:
    density, heat = water_properties(celsius)
    assert density == pytest.approx(of_water("D", "T", celsius + 273.15, "P", 101_325.0, "Water"), rel=4e-4)
    assert heat == pytest.approx(of_water("C", "T", celsius + 273.15, "P", 101_325.0, "Water"), rel=1.5e-3)


def test_constants_of_statistics_are_scipy_s() -> None:
    assert pytest.approx(stats.norm.ppf(0.975), abs=1e-6) == COVERAGE_95
    for measurands, limit in enumerate(CHI_SQUARED, 1):
        assert limit == pytest.approx(stats.chi2.isf(1e-3, measurands), abs=0.006), "one healthy machine in a thousand"
    for deviations in np.linspace(-4, 4, 17):
        assert normal_share(float(deviations)) == pytest.approx(stats.norm.cdf(deviations), abs=1e-12)


@given(
    exponent=st.floats(0.7, 1.6), gain=st.floats(0.75, 1.3), leak=st.floats(-0.15, 0.1), target=st.floats(0.35, 0.9),
)  # fmt: skip
@settings(max_examples=150, deadline=None)
def test_balancing_ends_where_scipy_s_root_lies_on_any_monotone_plant(
    exponent: float, gain: float, leak: float, target: float
) -> None:
    """A plant that shares nothing with the curve it is expected on: the loop ends inside 5 %, beside the root, or says why not."""
    low, high, tolerance = 0.2, 1.0, 0.05

    def plant(command: float) -> float:
        return max(gain * command**exponent + leak, 0.0)

    tried: list[Tried] = []
    for _ in range(8):
        advice = advise(lambda command: command, tuple(tried), target, low, high, tolerance)
        if advice.outcome in (Outcome.INSIDE, Outcome.CANNOT):
            break
        assert advice.command is not None and low <= advice.command <= high
        tried.append(Tried(advice.command, plant(advice.command)))
    if plant(low) < target < plant(high):
        root = brentq(lambda command: plant(command) - target, low, high)
        assert advice.outcome is Outcome.INSIDE or min(abs(one.command / root - 1) for one in tried) < 0.1
    if advice.outcome is Outcome.INSIDE:
        assert tried[-1].flow == pytest.approx(target, rel=tolerance)
    elif advice.outcome is Outcome.CANNOT:
        assert not plant(low) * 1.02 < target < plant(high) * 0.98, "it gives up only where no command reaches"


@pytest.mark.parametrize(
    "machine_type", [MachineType.FORWARD_CURVED, MachineType.BACKWARD_INCLINED, MachineType.AXIAL, MachineType.PUMP]
)
@pytest.mark.parametrize("share", [0.3, 0.6, 0.9])
def test_the_flow_at_a_pressure_is_the_last_root_of_the_curve(machine_type: MachineType, share: float) -> None:
    """AMCA 201: where a curve has more than one flow for a pressure, the falling part is meant."""
    machine = MachineCurve(generic_shape(machine_type), 1.0, 200.0, 300.0, 1.0)
    shape = machine.shape
    wanted = share * 200.0
    found = flow_for_pressure(machine, wanted)
    grid = np.linspace(shape.first_flow, shape.last_flow, 20_001)
    over = np.asarray(shape.pressure(grid)) * 200.0 - wanted
    ends = [(a, b) for a, b, x, y in zip(grid, grid[1:], over, over[1:], strict=False) if x * y <= 0]
    by_root = brentq(lambda q: float(shape.pressure(q)) * 200.0 - wanted, *ends[-1])
    assert found == pytest.approx(by_root * machine.flow_unit, rel=1e-3)


@given(fixed=st.floats(0.0, 80.0), steep=st.floats(40.0, 400.0), noise=st.integers(0, 1000))
@settings(max_examples=60, deadline=None)
def test_a_system_through_readings_is_scipy_s_least_squares(fixed: float, steep: float, noise: int) -> None:
    rng = np.random.default_rng(noise)
    flow = np.array([0.4, 0.6, 0.8, 1.0])
    pressure = fixed + steep * flow**2 + rng.normal(0, 1.0, 4)
    ours = fit_system(flow, pressure, 2.0)
    (p0, k), _ = curve_fit(lambda q, a, b: a + b * q**2, flow, pressure, p0=(10.0, 100.0))
    if p0 > 0:
        assert float(ours.fixed_pressure) == pytest.approx(p0, abs=1e-3 + 1e-6 * abs(p0))
        assert float(ours.coefficient) == pytest.approx(k, rel=1e-5)
    else:
        assert float(ours.fixed_pressure) == 0.0, "less than nothing is nothing"


@pytest.mark.parametrize("volts", [(460, 467, 450), (230, 236, 224), (400, 404, 396), (208, 208, 200)])
def test_unbalance_by_deviation_is_near_that_by_symmetrical_components(volts: tuple[float, float, float]) -> None:
    """The true factor, backward over forward voltage, from three line voltages by Fortescue (IEC 61000-2-2's closed form): the
    deviation from the mean that NEMA MG 1 uses lies within a quarter of it at these sizes."""
    a, b, c = volts
    beta = (a**4 + b**4 + c**4) / (a**2 + b**2 + c**2) ** 2
    true = math.sqrt((1 - math.sqrt(3 - 6 * beta)) / (1 + math.sqrt(3 - 6 * beta)))
    assert voltage_unbalance(*volts) == pytest.approx(true, rel=0.25)


def standard_s_drive(share: float) -> float:
    """Fan power at part load on a drive: ASHRAE 90.1, appendix G, method 2 (from memory)."""
    return 0.0013 + 0.1470 * share + 0.9506 * share**2 - 0.0998 * share**3


def handbook_s_damper(share: float) -> float:
    """Fan power at part load behind a discharge damper, as building simulation handbooks have it (from memory)."""
    return 0.37073425 + 0.97250253 * share - 0.34240761 * share**2


@pytest.mark.slow
@pytest.mark.parametrize("share", [50, 60, 70, 80, 90])
def test_a_fan_on_a_drive_against_a_held_pressure_takes_what_the_standard_s_curve_says(share: int) -> None:
    """That curve is of an office's variable-air-volume fan whose duct pressure is held: a third of the full pressure here. A
    generic fan, drive and motor against a generic curve: within 0.08 of full power."""
    steps = [
        {"id": "f", "hours": "1000 h", "flow_share": "100 %"},
        {"id": "p", "hours": "1000 h", "flow_share": f"{share} %"},
    ]
    duty = {
        "steps": steps,
        "part_flow": "by a damper or valve",
        "static_pressure_set_point": "130 Pa",
        "energy_price": "0.2 per kWh",
    }
    drive = of_kind(THREE_PHASE_FAN, OptionKind.DRIVE, duty=duty)
    full, part = (step.input_power.value for step in drive.steps)
    assert part / full == pytest.approx(standard_s_drive(share / 100), abs=0.08)


@pytest.mark.slow
@pytest.mark.parametrize("share", [60, 70, 80, 90])
def test_the_machine_of_today_behind_a_damper_takes_what_the_handbook_s_curve_says(share: int) -> None:
    """A backward-inclined wheel throttled at its outlet: within 0.12 of full power of a generic curve."""
    steps = [
        {"id": "f", "hours": "1000 h", "flow_share": "100 %"},
        {"id": "p", "hours": "1000 h", "flow_share": f"{share} %"},
    ]
    duty = {"steps": steps, "part_flow": "by a damper or valve", "energy_price": "0.2 per kWh"}
    keep = of_kind(THREE_PHASE_FAN, OptionKind.SAME_KIND, duty=duty)
    full, part = (step.input_power.value for step in keep.steps)
    assert part / full == pytest.approx(handbook_s_damper(share / 100), abs=0.12)


def test_the_standard_s_curves_are_those_that_they_are_said_to_be() -> None:
    """Both end at full power, and a drive lies below a damper everywhere: what any print of them shows."""
    shares = np.linspace(0.3, 1.0, 15)
    assert standard_s_drive(1.0) == pytest.approx(1.0, abs=0.01) and handbook_s_damper(1.0) == pytest.approx(
        1.0, abs=0.01
    )
    assert all(standard_s_drive(one) < handbook_s_damper(one) for one in shares[:-1])
    assert all(a < b for a, b in pairwise(map(standard_s_drive, shares)))
