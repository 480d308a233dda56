"""The flow that a trial's reading stands for: read itself, or told by static, temperature rise or amps."""

from __future__ import annotations

from modest_rotor.core.errors import Refusal
from modest_rotor.core.estimate import Estimate
from modest_rotor.core.identify.meters import read_by_meter
from modest_rotor.core.physics.fan import MachineType, medium_of
from modest_rotor.core.say import say
from modest_rotor.core.setup.facts import SetupFacts
from modest_rotor.core.stations.charts import amps_chart
from modest_rotor.core.stations.setup import Trial
from modest_rotor.core.stations.target import air_factor


def flow_of(facts: SetupFacts, trial: Trial) -> tuple[Estimate | None, str]:
    """The flow that a trial's reading stands for, m³/s, and how it was had; the flow itself goes before what stands for it.

    Static: q = q_0 √((p − p_f) ÷ (p_0 − p_f)) on the duct's own curve through the point found. Amps: by the amps chart at the
    volts measured. Rise: q = Q ÷ (c ΔT). Sources: turbulent flow in ducts, ASHRAE Handbook, Fundamentals; the maker's chart;
    energy balance.
    """
    pump = facts.machine.machine_type is MachineType.PUMP
    accuracies = facts.job.document.meters.accuracies
    direct = trial.water_flow if pump else trial.airflow
    if direct:
        return read_by_meter(
            direct, medium_of(facts.machine.machine_type).flow, f"trial {trial.id}", accuracies
        ), "measured"
    for way in (_by_static, _by_rise, _by_amps):
        found = way(facts, trial)
        if found[0] is not None or found[1]:
            return found
    return None, say("trial-flow-flow-of")


def _by_static(facts: SetupFacts, trial: Trial) -> tuple[Estimate | None, str]:
    machine = facts.machine
    if trial.static is None:
        return None, ""
    if not (machine.flow_is_measured and machine.pressure_is_measured):
        return None, say("trial-flow-by-static-static-tells")
    over, known = trial.static.si - machine.fixed_pressure.value, machine.pressure.value - machine.fixed_pressure.value
    if over <= 0 or known <= 0:
        return None, say("trial-flow-by-static-static-read")
    read = read_by_meter(trial.static, "pressure", f"trial {trial.id}", facts.job.document.meters.accuracies)
    ratio = (over / known) ** (1 / machine.exponent.value)
    spread = Estimate(
        ratio,
        {
            f"static, trial {trial.id}": ratio * read.standard / over / machine.exponent.value,
            "duct's curve": DUCT_SPREAD * ratio,
        },
    )
    return machine.flow * spread, say("trial-flow-by-static-static-duct")


DUCT_SPREAD = 0.03
"""Standard deviation of a flow told by static on an unchanged duct, as a share. Our judgement, no source."""
RISE_SPREAD = 0.06
"""Standard deviation of a flow told by temperature rise, as a share: mixing, radiation, fuel. Our judgement, no source."""
CHART_SPREAD = 0.05
"""Standard deviation of a flow off an amps chart, as a share. Our judgement, no source."""


def _by_rise(facts: SetupFacts, trial: Trial) -> tuple[Estimate | None, str]:
    if trial.rise is None:
        return None, ""
    heat = facts.job.document.target.heat
    if heat is None or trial.rise.si <= 0:
        return None, say("trial-flow-by-rise-rise-tells")
    flow = heat.si / (air_factor(facts.job.document.target) * trial.rise.si)
    return Estimate(flow, {f"rise, trial {trial.id}": RISE_SPREAD * flow}), say("trial-flow-by-rise-temperature-rise")


def _by_amps(facts: SetupFacts, trial: Trial) -> tuple[Estimate | None, str]:
    if trial.current is None:
        return None, ""
    volts = facts.job.document.setup.first_volts
    if not facts.job.document.charts.amps_chart or "electronic" in facts.features or facts.on_drive:
        return None, say("trial-flow-by-amps-amps-tell")
    try:
        flow = (
            amps_chart(facts.job.document.charts)
            .flow(volts.si if volts else facts.machine.volts.value, trial.current.si)
            .between
        )
    except Refusal as refusal:
        return None, refusal.sentence
    return Estimate(flow, {f"amps, trial {trial.id}": CHART_SPREAD * flow}), say("trial-flow-by-amps-amps-chart")
