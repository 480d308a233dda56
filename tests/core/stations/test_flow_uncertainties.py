"""Stated uncertainties of the flow: over many simulated truths read by meters that are off, 95 % hold the truth."""

from __future__ import annotations

from collections.abc import Callable

import numpy as np
import pytest

from modest_rotor.core.physics.fan import MachineType
from modest_rotor.core.physics.medium import air_heat_per_flow
from modest_rotor.core.stations.charts import Charts, amps_chart, blower_table
from modest_rotor.core.stations.flow_estimate import flow_by_power
from modest_rotor.core.stations.flow_method import FlowContext, FlowMethod
from modest_rotor.core.stations.flow_methods import CHART_SD, TABLE_SD, flow_methods
from modest_rotor.core.stations.nameplate import Nameplate
from modest_rotor.core.stations.plate_answer import plate_facts
from modest_rotor.core.stations.readings import ReadingSet
from modest_rotor.core.stations.set_facts import set_facts
from modest_rotor.core.stations.target import Target
from tests.core.stations.test_charts import TABLE
from tests.machines import CFM, IN_WG

WIDE = "cfm 208 230\n1000 2.1 1.9\n1500 3.5 3.2\n2000 5.2 4.8\n2500 7.2 6.7"
CHARTS = Charts(amps_chart=WIDE, blower_table=TABLE, blower_table_flow="cfm")
pytestmark = pytest.mark.slow
CONTEXT = FlowContext(MachineType.FORWARD_CURVED, CHARTS, amps_chart(CHARTS), blower_table(CHARTS), Target(), None)
PLATE = plate_facts(Nameplate())
DRAWS = 1500
Draw = Callable[[np.random.Generator], tuple[dict[str, str], float]]


def by_chart(chance: np.random.Generator) -> tuple[dict[str, str], float]:
    """A machine whose amps are those of the chart, strayed as charts stray; clamp ± 2 %, voltmeter ± 1 % at 95 %."""
    assert CONTEXT.amps
    flow, volts = chance.uniform(1700, 1900) * CFM, chance.uniform(212, 226)
    shown = CONTEXT.amps.amps(volts, flow * (1 + CHART_SD * chance.normal()))
    read = {
        "voltage": f"{volts * (1 + 0.01 / 1.96 * chance.normal()):.1f} V",
        "current": f"{shown * (1 + 0.02 / 1.96 * chance.normal()):.2f} A",
    }
    return read, flow


def by_table(chance: np.random.Generator) -> tuple[dict[str, str], float]:
    """Statics read by a manometer ± 2 % ± 2 Pa on each side, on a machine that strays from its table."""
    assert CONTEXT.table
    static = chance.uniform(0.3, 0.7) * IN_WG
    flow = CONTEXT.table.flow("High", static) * (1 + TABLE_SD * chance.normal())
    share, off = chance.uniform(0.3, 0.7), chance.normal()
    sides = (static * share, static * (1 - share))
    supply, back = (side + off * (0.02 * side + 2) / 1.96 for side in sides)
    return {"tap": "high tap", "supply_static": f"{supply:.1f} Pa", "return_static": f"-{max(back, 0.1):.1f} Pa"}, flow


def by_rise(chance: np.random.Generator) -> tuple[dict[str, str], float]:
    """An electric heater in steady air: its volts and amps, and two thermometers ± 0.5 K."""
    flow, entering, volts, amps = chance.uniform(0.3, 0.8), chance.uniform(15, 25), 230.0, chance.uniform(30, 60)
    rise = volts * amps / (float(air_heat_per_flow(entering)) * flow)
    read = {
        "heater_volts": f"{volts * (1 + 0.01 / 1.96 * chance.normal()):.1f} V",
        "heater_amps": f"{amps * (1 + 0.02 / 1.96 * chance.normal()):.2f} A",
        "entering": f"{entering + 0.5 / 1.96 * chance.normal():.1f} °C",
        "leaving": f"{entering + rise + 0.5 / 1.96 * chance.normal():.1f} °C",
    }
    return read, flow


@pytest.mark.parametrize(
    ("method", "draw"),
    [(FlowMethod.CHART, by_chart), (FlowMethod.TABLE, by_table), (FlowMethod.RISE, by_rise)],
    ids=("chart", "table", "rise"),
)
def test_stated_uncertainties_hold_the_truth(method: FlowMethod, draw: Draw) -> None:
    chance, held, told = np.random.default_rng(7), 0, 0
    for _ in range(DRAWS):
        read, truth = draw(chance)
        facts = set_facts(ReadingSet.model_validate({"id": "s1", **read}), 1, PLATE, CONTEXT.machine_type)
        methods = flow_methods(facts, CONTEXT, flow_by_power(facts, CONTEXT.machine_type))
        flow = next(one.flow for one in methods if one.method is method)
        if flow is not None:
            told += 1
            held += abs(flow.value - truth) <= flow.uncertainty
    assert told > 0.9 * DRAWS
    assert 0.93 <= held / told <= 0.97
