"""Where a rig goes: its curves cross where its meters stand, torque meets load there, and heat is said at its limits."""

from __future__ import annotations

import numpy as np
import pytest

from modest_rotor.core.bench.outlook import BURNT_C, HOT_C, Outlook, meters_of, outlook, quantity_of
from modest_rotor.core.bench.shipped import stands
from modest_rotor.core.bench.stand import Controls, Stand
from modest_rotor.core.bench.why import Meter
from modest_rotor.core.physics.fan import MachineType
from modest_rotor.core.quantities import quantity
from tests.said import codes_of

pytestmark = pytest.mark.slow

STANDS = stands()


def at(name: str, **turned: object) -> Outlook:
    return outlook(STANDS[name], Controls(**turned))  # type: ignore[arg-type]


def crossing(seen: Outlook) -> tuple[float, float]:
    """Where the drawn curves cross, by the pictures' own points."""
    machine, system = (next(one for one in seen.curves if one.kind == kind) for kind in ("machine", "system"))
    flow = np.linspace(0, min(machine.flow[-1], system.flow[-1]), 4000)
    over = np.interp(flow, machine.flow, machine.pressure) - np.interp(flow, system.flow, system.pressure)
    place = np.flatnonzero(np.diff(np.sign(over)))[-1]
    return float(flow[place]), float(np.interp(flow[place], system.flow, system.pressure))


@pytest.mark.parametrize("name", STANDS)
def test_the_curves_cross_where_the_meters_stand(name: str) -> None:
    """Sixty straight pieces against the solved point: 1 % of the flow, 2.5 % of the pressure."""
    seen = at(name)
    flow, pressure = crossing(seen)
    assert flow == pytest.approx(seen.values[Meter.FLOW], rel=0.01)
    assert pressure == pytest.approx(seen.values[Meter.PRESSURE], rel=0.025)


@pytest.mark.parametrize("name", STANDS)
def test_torque_meets_the_load_at_the_speed_that_is_shown(name: str) -> None:
    seen = at(name)
    plane, speed = seen.torque, seen.values[Meter.SPEED]
    load = float(np.interp(speed, plane.speed, plane.load))
    assert load == pytest.approx(seen.values[Meter.TORQUE], rel=0.03)
    motor = float(np.interp(speed, plane.speed, plane.motor))
    if plane.field is None:
        assert motor >= load * 0.97, "an electronic motor's curve is what its electronics allow"
    else:
        assert speed < plane.field and plane.motor[-1] == pytest.approx(0.0, abs=0.02 * max(plane.motor))
        assert motor == pytest.approx(load, rel=0.12), "steep there: a straight piece cuts the corner"
    assert all(a < b for a, b in zip(plane.speed, plane.speed[1:], strict=False))


@pytest.mark.parametrize("name", STANDS)
def test_every_meter_of_a_stand_has_a_value_in_its_quantity_and_none_is_of_a_part_that_is_not_there(name: str) -> None:
    rig: Stand = STANDS[name]
    shown = set(meters_of(rig))
    assert (Meter.SLIP in shown) is not rig.is_electronic
    assert (Meter.CAPACITOR_VOLTS in shown) is (Meter.START_AMPS in shown) is rig.has_capacitor
    assert (Meter.LINK in shown) is (Meter.RIPPLE in shown) is (Meter.LINE_PEAK in shown) is (rig.drive is not None)
    assert {Meter.SPEED, Meter.AMPS, Meter.WATTS, Meter.FLOW, Meter.PRESSURE, Meter.WINDING, Meter.TORQUE} <= shown
    values = at(name).values
    for meter in shown & set(values):
        what = quantity(quantity_of(rig, meter))
        assert np.isfinite(values[meter]) and what.low <= values[meter] <= what.high, meter
    wet = rig.is_pump
    assert quantity_of(rig, Meter.FLOW) == ("water_flow" if wet else "airflow")
    assert quantity_of(rig, Meter.PRESSURE) == ("pump_differential" if wet else "pressure")
    assert wet is (MachineType.PUMP.value in rig.name or "pump" in rig.name)


def test_a_bare_shaft_has_no_curves_and_is_no_fault_but_gets_no_air() -> None:
    bare = at("capacitor blower", bare=True)
    assert bare.curves == ()
    assert [words for words in bare.says if "winding" not in words] == []
    assert bare.values[Meter.WINDING] > at("capacitor blower").values[Meter.WINDING], (
        "an air-over motor is cooled by its wheel"
    )


def test_heat_is_said_at_the_limits_of_the_insulation_and_the_gravest_alone() -> None:
    """IEC 60085: class B to 130 °C, class F to 155 °C. Hotter air brings a winding past the one, then past the other."""
    said = {}
    for air in range(20, 100, 4):
        seen = at("capacitor blower", air_c=float(air))
        said[seen.values[Meter.WINDING]] = [
            words for words in seen.says if "outlook-says-winding-goes-beyond" in codes_of(words)
        ]
    for winding, words in said.items():
        if winding > BURNT_C:
            assert words == [
                "Its winding goes beyond 155 °C (311 °F): a real motor trips on its thermal switch, or burns."
            ]
        elif winding > HOT_C:
            assert words == ["Its winding goes beyond 130 °C (266 °F): too hot for insulation of class B."]
        else:
            assert words == []
    assert min(said) < HOT_C < max(said), "both were met"
    assert (HOT_C, BURNT_C) == (130.0, 155.0)
