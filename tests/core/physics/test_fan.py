"""Affinity laws, where they hold and where they fail; the point where machine and system meet, against solved networks."""

from pathlib import Path

import numpy as np
import pytest
from epanet import toolkit as epanet
from hypothesis import given
from hypothesis import strategies as st
from scipy.interpolate import PchipInterpolator

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.physics.curve import curve_through
from modest_rotor.core.physics.fan import (
    MachineCurve,
    MachineType,
    Shape,
    affinity_scale,
    flow_for_pressure,
    generic_shape,
    machine_from_table,
    machine_through_points,
    shaft_power_from_air_w,
)
from modest_rotor.core.physics.load import Load, flow_at_speed, speed_ratio_for_flow
from modest_rotor.core.physics.system import SystemCurve, fit_system, system_through
from tests.said import refused_with

MACHINE_TYPES = list(MachineType)


@pytest.mark.parametrize(
    ("new", "old", "flow", "pressure", "power"),
    [  # AMCA Publication 201; ASHRAE Handbook, HVAC Systems and Equipment: q ∝ n, p ∝ n², P ∝ n³
        (825, 1075, 0.76744186, 0.58896701, 0.45199794), (1200, 1720, 0.69767442, 0.48674959, 0.33959274),
        (1760, 1725, 1.0202899, 1.0409914, 1.062113), (1, 2, 0.5, 0.25, 0.125), (600, 500, 1.2, 1.44, 1.728),
    ],
)  # fmt: skip
def test_affinity_in_speed(new: float, old: float, flow: float, pressure: float, power: float) -> None:
    assert affinity_scale(np.array(new / old)) == pytest.approx((flow, pressure, power), rel=1e-7)


def test_affinity_in_diameter_and_density() -> None:
    """Same sources: q ∝ d³, p ∝ d², P ∝ d⁵ at one speed; pressure and power ∝ density, flow unchanged (5,000 ft: 0.832)."""
    assert affinity_scale(np.array(1.0), diameter_ratio=1.2) == pytest.approx((1.728, 1.44, 2.48832))
    assert affinity_scale(np.array(1.0), density_ratio=0.832) == pytest.approx((1.0, 0.832, 0.832))


def test_fan_power_by_the_6356_rule() -> None:
    """bhp = cfm × in. w.g. ÷ (6,356 η): 2,000 cfm, 1.5 in. w.g., 60 % → 0.7867 hp (handbook constant, 0.25 %)."""
    shaft = shaft_power_from_air_w(np.array(2000 * 0.0004719474), np.array(1.5 * 249.0889), np.array(0.6))
    assert float(shaft) / 745.7 == pytest.approx(0.78666, rel=0.0025)
    with refused_with(OutsideValidity, "fan-shaft-power-from-air-w"):
        shaft_power_from_air_w(np.array(1.0), np.array(100.0), np.array(0.0))


def test_pump_power_against_a_printed_example() -> None:
    """US Department of Energy, pumping tip sheet on impeller trimming: 3,000 gpm, 165 ft, 80 % → 156 hp (from memory)."""
    shaft = shaft_power_from_air_w(np.array(3000 * 6.30902e-5), np.array(165 * 2989.067), np.array(0.8))
    assert float(shaft) / 745.7 == pytest.approx(156.25, rel=0.002)


def _parabola(shut_off: float, fall: float, last: float, power_w: float = 100.0) -> MachineCurve:
    """A machine p = shut_off N² − fall q², through its own point at half its last flow."""
    flow = np.linspace(0, 1, 401)
    pressure = shut_off - fall * (flow * last) ** 2
    shape = Shape(MachineType.PUMP, 0.7, 0.0, 1.0, curve_through(flow, pressure), curve_through(flow, 1 + flow))
    at = np.array([[0.5 * last]])
    return MachineCurve(
        shape, at, np.array([[shut_off - fall * (0.5 * last) ** 2]]), np.array([[power_w]]), np.array([[0.5]])
    )


NETWORK = """[JUNCTIONS]
 outlet 0 0
[RESERVOIRS]
 low 0
 high {static}
[PIPES]
 pipe outlet high 1000 {diameter} {roughness} 0 Open
[PUMPS]
 pump low outlet HEAD curve SPEED {speed}
[CURVES]
 curve 0 40
 curve 50 30
 curve 100 0
[OPTIONS]
 Units LPS
 Headloss H-W
 Accuracy 0.000001
[END]
"""
"""A pump H = 40 N² − 4,000 Q² (m, m³/s) that lifts water through 1,000 m of pipe, in EPANET's own form."""


def by_epanet(folder: Path, **said: float) -> tuple[float, float]:
    """Flow, m³/s, and head behind the pump, m, as EPANET 2.3 solves the network (Rossman, EPANET 2.2 users manual)."""
    network = folder / "network.inp"
    network.write_text(NETWORK.format(**said))
    project = epanet.createproject()
    try:
        epanet.open(project, str(network), str(folder / "report"), "")
        epanet.solveH(project)
        flow = epanet.getlinkvalue(project, epanet.getlinkindex(project, "pipe"), epanet.FLOW)
        return flow / 1000, epanet.getnodevalue(project, epanet.getnodeindex(project, "outlet"), epanet.HEAD)
    finally:
        epanet.close(project)
        epanet.deleteproject(project)


@pytest.mark.parametrize("plant", range(25))
def test_pump_on_a_pipe_with_static_head_against_epanet(plant: int, tmp_path: Path) -> None:
    """Random lifts, speeds, pipes and roughnesses. Hazen–Williams, 10.667 L ÷ C^1.852 ÷ d^4.871: 3 parts in 10,000 for the rounded
    constants and the interpolated curve."""
    drawn = np.random.default_rng(plant).uniform
    speed = drawn(0.7, 1.0)
    static = drawn(0.0, 0.85 * 40 * speed**2)
    diameter, roughness = drawn(180, 320), drawn(90, 150)
    flow, head = by_epanet(tmp_path, static=static, speed=speed, diameter=diameter, roughness=roughness)
    pump = _parabola(40.0, 4000.0, 0.1)
    pipe = SystemCurve(np.array(static), np.array(10.667 * 1000 / roughness**1.852 / (diameter / 1000) ** 4.871), 1.852)
    found = flow_at_speed(pump, pipe, np.array([[speed]]))
    assert flow > 0.005 and found.item() == pytest.approx(flow, rel=3e-4)
    assert pipe.pressure_at(found).item() == pytest.approx(head, rel=3e-4)


def test_with_half_the_head_static_eighty_percent_speed_is_nowhere_near_eighty_percent_flow() -> None:
    """EPANET: 10 of 19.7 m static, 0.8 speed → 71.5 % flow; 20 of 29.7 m → 52 %. The laws say 80 %."""
    pump = _parabola(40.0, 4000.0, 0.1)
    coefficient = np.array(10.667 * 1000 / 120**1.852 / 0.25**4.871)
    shares = []
    for static in (0.0, 10.0, 20.0):
        pipe = SystemCurve(np.array(static), coefficient, 1.852)
        full, slowed = (flow_at_speed(pump, pipe, np.array([[speed]])).item() for speed in (1.0, 0.8))
        shares.append(slowed / full)
    assert shares == pytest.approx([0.80, 0.7153, 0.5205], abs=0.005)


def test_a_pump_that_cannot_lift_moves_nothing_while_it_turns() -> None:
    pump = _parabola(40.0, 4000.0, 0.1)
    pipe = SystemCurve(np.array(30.0), np.array(1000.0))
    assert flow_at_speed(pump, pipe, np.array([[0.8]])).item() == 0  # 40 × 0.64 = 25.6 m is below 30 m


@pytest.mark.parametrize(
    ("held", "speed", "cfm", "inwg"),
    [  # p = 2 N² − 5e-7 Q² on p = held + 6e-7 Q² (in. w.g., cfm): closed form
        (0.5, 1.0, 1167.7484, 1.3181818), (0.5, 0.8, 842.07536, 0.92545455), (0.0, 0.8, 1078.7198, 0.69818182),
        (0.0, 0.6, 809.03983, 0.39272727),
    ],
)  # fmt: skip
def test_fan_on_a_duct_with_held_pressure_against_the_closed_form(
    held: float, speed: float, cfm: float, inwg: float
) -> None:
    fan, duct = _parabola(2.0, 5e-7, 2000.0), SystemCurve(np.array(held), np.array(6e-7))
    found = flow_at_speed(fan, duct, np.array([[speed]]))
    assert found.item() == pytest.approx(cfm, rel=2e-4)  # the fan's curve is interpolated between 401 points
    assert duct.pressure_at(found).item() == pytest.approx(inwg, rel=4e-4)


def _generic(machine_type: MachineType, place: float = 1.0) -> MachineCurve:
    one = np.array([[1.0]])
    return MachineCurve(generic_shape(machine_type), one, one * 200, one * 400, one * place)


@pytest.mark.parametrize("machine_type", MACHINE_TYPES)
@given(share=st.floats(0.1, 1.1))
def test_affinity_is_exact_on_a_pure_quadratic_system(machine_type: MachineType, share: float) -> None:
    machine = _generic(machine_type)
    system = system_through(machine.flow, machine.pressure, np.array(0.0))
    speed = speed_ratio_for_flow(machine, system, np.array([[share]]))
    assert speed.item() == pytest.approx(share, rel=1e-6)
    assert machine.power_at(np.array([[share]]), speed).item() == pytest.approx(400 * share**3, rel=1e-5)
    assert flow_at_speed(machine, system, speed).item() == pytest.approx(share, rel=1e-5)


@pytest.mark.parametrize("machine_type", MACHINE_TYPES)
@given(tighter=st.floats(1.01, 6.0))
def test_more_restriction_never_means_more_flow(machine_type: MachineType, tighter: float) -> None:
    machine = _generic(machine_type)
    open_duct = system_through(machine.flow, machine.pressure, np.array(0.0))
    closed = SystemCurve(open_duct.fixed_pressure, open_duct.coefficient * tighter)
    one = np.array([[1.0]])
    assert flow_at_speed(machine, closed, one).item() < flow_at_speed(machine, open_duct, one).item()


@pytest.mark.parametrize("machine_type", MACHINE_TYPES)
def test_generic_shapes_are_whole(machine_type: MachineType) -> None:
    """From shut-off to free delivery, best efficiency at the point named so (the table rounds to two figures)."""
    shape = generic_shape(machine_type)
    flow = np.linspace(0.05, shape.last_flow * 0.999, 300)
    assert float(shape.pressure(1.0)) == pytest.approx(1) and float(shape.power(1.0)) == pytest.approx(1)
    assert float(shape.pressure(shape.last_flow)) == pytest.approx(0, abs=1e-9)
    assert shape.efficiency(flow).max() == pytest.approx(shape.best_efficiency, rel=0.03)
    assert np.isnan(_generic(machine_type).pressure_at(np.array([[9.0]]), np.array([[1.0]]))).all()


def test_which_wheels_overload_when_the_duct_is_opened() -> None:
    """Common practice, no source: forward-curved power climbs with flow, axial power climbs toward shut-off."""
    power = {machine_type: generic_shape(machine_type).power for machine_type in MACHINE_TYPES}
    assert float(power[MachineType.FORWARD_CURVED](1.5)) > 1.4
    assert float(power[MachineType.AXIAL](0.4)) > 1.2
    assert float(power[MachineType.BACKWARD_INCLINED](np.linspace(0, 1.5, 50)).max()) < 1.02


def test_a_system_needs_a_flow_and_a_pressure_above_its_fixed_part() -> None:
    with refused_with(OutsideValidity, "system-through-system-curve"):
        system_through(np.array(0.0), np.array(100.0), np.array(0.0))
    with refused_with(OutsideValidity, "system-through-pressure-stays"):
        system_through(np.array(1.0), np.array(100.0), np.array(100.0))


def test_a_flow_that_no_speed_gives_is_not_given() -> None:
    """A measured table that ends above zero pressure does not say what happens in a duct more open than its last row."""
    flow = np.array([0.2, 0.4, 0.6, 0.8])
    machine = machine_from_table(
        MachineType.AXIAL, flow, np.array([300.0, 260.0, 200.0, 120.0]), np.array([180.0, 190.0, 195.0, 190.0])
    )
    wide_open = SystemCurve(0.0, 10.0)
    assert np.isnan(speed_ratio_for_flow(machine, wide_open, 0.5))
    assert Load(machine, 1000.0, wide_open).at_motor_speed(1000.0).beyond


def test_a_machine_follows_its_own_table_and_refuses_what_cannot_be_one() -> None:
    flow, pressure, power = (
        np.array([0.2, 0.4, 0.6, 0.8]),
        np.array([300.0, 260.0, 200.0, 120.0]),
        np.array([180.0, 190.0, 195.0, 190.0]),
    )
    machine = machine_from_table(MachineType.BACKWARD_INCLINED, flow, pressure, power)
    assert machine.pressure_at(flow, 1.0) == pytest.approx(pressure) and machine.power_at(flow, 1.0) == pytest.approx(
        power
    )
    assert machine.pressure_at(2 * flow, 2.0) == pytest.approx(4 * pressure)  # affinity: AMCA 201
    for rows, words in (
        ((flow[:2], pressure[:2], power[:2]), "2 rows"),
        ((flow[[0, 2, 1, 3]], pressure, power), "does not go upward in its row 3"),
        ((flow, pressure, power / 10), "another unit"),
        ((flow, pressure, 0 * power), "not above zero"),
    ):
        with pytest.raises(OutsideValidity, match=words):
            machine_from_table(MachineType.BACKWARD_INCLINED, *rows)


def test_one_pressure_at_two_flows_is_a_sentence_and_not_a_number() -> None:
    """A forward-curved wheel has a dip; AMCA 201 on curves with more than one flow for a pressure."""
    machine = MachineCurve(generic_shape(MachineType.FORWARD_CURVED), 0.6, 200.0, 300.0, 1.0)
    with refused_with(OutsideValidity, "fan-flow-for-pressure-curve-two"):
        flow_for_pressure(machine, 202.0)
    with refused_with(OutsideValidity, "fan-flow-for-pressure-machine-makes"):
        flow_for_pressure(machine, 900.0)
    assert flow_for_pressure(machine, 0.58 * 200.0) == pytest.approx(1.75 * 0.6, rel=1e-3)  # a row of the table


def test_a_shape_put_through_points_finds_the_machine_they_came_from() -> None:
    true = MachineCurve(generic_shape(MachineType.FORWARD_CURVED), 0.6, 210.0, 300.0, 1.0)
    flow = np.array([0.4, 0.7, 1.0])
    fitted = machine_through_points(
        MachineType.FORWARD_CURVED, flow, true.pressure_at(flow, 1.0), true.power_at(flow, 1.0)
    )
    grid = np.linspace(0.1, 1.2, 9)
    assert fitted.pressure_at(grid, 1.0) == pytest.approx(
        true.pressure_at(grid, 1.0), rel=0.01
    )  # the grid's step of flow


def test_a_system_is_told_from_two_readings_and_refuses_those_of_two_systems() -> None:
    flow = np.array([0.3, 0.5, 0.8])
    fitted = fit_system(flow, 60 + 400 * flow**2)
    assert [fitted.fixed_pressure, fitted.coefficient] == pytest.approx([60, 400])
    assert fit_system(flow, 400 * flow**2 - 5).fixed_pressure == 0
    with refused_with(OutsideValidity, "system-fit-system-tell-system"):
        fit_system(flow[:1], flow[:1])
    with refused_with(OutsideValidity, "system-fit-system-pressure-falls"):
        fit_system(flow, 300 - 100 * flow)
    clean = SystemCurve(0.0, 400.0)
    assert clean.with_more(50.0, 0.5).pressure_at(0.5) == pytest.approx(150.0)


@given(
    st.lists(st.floats(0.01, 1.0), min_size=3, max_size=9),
    st.lists(st.integers(-50, 50), min_size=9, max_size=9),
    st.floats(0, 1),
)
def test_the_curve_through_points_is_scipy_s_to_rounding(steps: list[float], heights: list[int], where: float) -> None:
    """SciPy's PchipInterpolator is the reference; the product does without it, since its import alone takes a second."""
    x, y = np.cumsum(steps), np.array(heights[: len(steps)], float)
    at = float(x[0] + where * (x[-1] - x[0]))
    assert curve_through(x, y)(at) == pytest.approx(float(PchipInterpolator(x, y)(at)), rel=1e-9, abs=1e-9)
    assert curve_through(x, y)(np.array([at]))[0] == pytest.approx(curve_through(x, y)(at), rel=1e-12, abs=1e-12)
