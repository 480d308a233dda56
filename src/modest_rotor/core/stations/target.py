"""The flow that is wanted, and the limits that machine and appliance set."""

from __future__ import annotations

from modest_rotor.core.coded import Coded
from modest_rotor.core.entry import Entry
from modest_rotor.core.estimate import Estimate
from modest_rotor.core.phrase import Basis
from modest_rotor.core.physics.fan import MachineType
from modest_rotor.core.physics.medium import air_heat_per_flow, standard_pressure_pa
from modest_rotor.core.say import say, tell
from modest_rotor.core.stations.sheet import Sheet, asked, chosen
from modest_rotor.core.tables import find_row
from modest_rotor.core.working import Result, given, result, waiting

SECONDS_PER_HOUR = 3600.0
MIDDLE_C = 20.0
CFM_PER_TON_SI = 1.3419596e-7


class System(Coded):
    """Kinds of cooling system that differ in the air they want per ton."""

    ORDINARY = "ordinary"
    HUMID = "humid"
    DRY = "dry"
    SMALL_DUCT = "small-duct"


class Target(Sheet):
    """Where the wanted flow comes from; the first that is complete is taken, a typed one before all."""

    airflow: Entry | None = asked("airflow", "field-Target-airflow", "typed")
    water_flow: Entry | None = asked("water_flow", "field-Target-water_flow", "typed")
    system: System | None = chosen("field-Target-system")
    cooling: Entry | None = asked("cooling_capacity", "field-Target-cooling", "plate")
    per_cooling: Entry | None = asked("flow_per_cooling", "field-Target-per_cooling", "typed")
    heat: Entry | None = asked("heat_input", "field-Target-heat", "plate")
    rise: Entry | None = asked("temperature_difference", "field-Target-rise", "plate")
    volume: Entry | None = asked("volume", "field-Target-volume", "typed")
    changes: Entry | None = asked("air_changes", "field-Target-changes", "typed")
    rated_static: Entry | None = asked("pressure", "field-Target-rated_static", "plate")
    altitude: Entry | None = asked("altitude", "field-Target-altitude", "typed")
    starts: Entry | None = asked("starts_per_hour", "field-Target-starts", "measured")


def target_flow(target: Target, machine_type: MachineType | None) -> Result:
    """The flow that is wanted, m³/s, with its working, or what it waits for.

    Source: as each way names its own: cooling, heat and rise, or changes of the air.
    """
    if machine_type is MachineType.PUMP:
        return _typed(say("target-flow-water-flow"), "water_flow", target.water_flow)
    if target.airflow:
        return _typed(say("label-airflow-wanted"), "airflow", target.airflow)
    for way in (_by_cooling, _by_heat, _by_changes):
        found = way(target)
        if found is not None:
            return found
    return waiting(say("label-airflow-wanted"), tell("target-flow-waits-flow"))


def per_cooling_of(target: Target) -> float | None:
    """Air per cooling that is wanted, m³/s to a W: typed, or by the kind of cooling.

    Source: table ``air_per_cooling``, common practice.
    """
    if target.per_cooling:
        return target.per_cooling.si
    if target.system is None:
        return None
    return float(find_row("air_per_cooling", system=target.system.value)["cfm_per_ton"]) * CFM_PER_TON_SI


def air_factor(target: Target, temperature_c: float = MIDDLE_C) -> float:
    """Sensible heat that air carries at the place's altitude, W/(m³/s · K): one air for a whole job.

    What is wanted and what a rise tells are flows of the same air, that of the place at 20 °C, as fans and hoods are rated.

    :param temperature_c: of the air. Source: density by the US Standard Atmosphere 1976; specific heat of dry air.
    """
    return float(air_heat_per_flow(temperature_c, standard_pressure_pa(target.altitude.si if target.altitude else 0.0)))


def _typed(label: str, quantity: str, entry: Entry | None) -> Result:
    if entry is None:
        return waiting(label, tell("term-waits-for-a-flow"))
    return result(
        label,
        quantity,
        entry.si,
        say("target-typed-typed"),
        (given("q", say("term-flow"), quantity, entry.si, "typed"),),
        say("target-typed-design"),
    )


def _by_cooling(target: Target) -> Result | None:
    per = per_cooling_of(target)
    if target.cooling is None or per is None:
        return None
    basis: Basis = "typed" if target.per_cooling else "assumed"
    origin = say("origin-typed") if target.per_cooling else say("target-by-cooling-table-air", system=target.system)
    ingredients = (
        given("Q", say("target-by-cooling-cooling-capacity"), "cooling_capacity", target.cooling.si, "plate"),
        given("q/Q", say("target-by-cooling-air-per"), "flow_per_cooling", per, basis, origin),
    )
    flow = target.cooling.si * per
    return result(say("label-airflow-wanted"), "airflow", flow, "q = Q × (q/Q)", ingredients, say("label-common-practice-no-source"), (
        say("target-by-cooling-schools-cfm"),
    ))  # fmt: skip


def _by_heat(target: Target) -> Result | None:
    if target.heat is None or target.rise is None or target.rise.si <= 0:
        return None
    middle = (target.rise.si + (target.rise.low if target.rise.low is not None else target.rise.si)) / 2
    factor = air_factor(target)
    ingredients = (
        given("Q", say("target-by-heat-heat-output"), "heat_input", target.heat.si, "plate"),
        given("ΔT", say("target-by-heat-middle-rise"), "temperature_difference", middle, "plate"),
        given("c", say("target-by-heat-heat-per"), "count", factor, "worked-out"),
    )
    source = say("target-by-heat-energy-balance")
    return result(
        say("label-airflow-wanted"),
        "airflow",
        target.heat.si / (factor * middle),
        "q = Q ÷ (c ΔT)",
        ingredients,
        source,
    )


def _by_changes(target: Target) -> Result | None:
    if target.volume is None or target.changes is None or target.changes.si <= 0:
        return None
    ingredients = (
        given("V", say("target-by-changes-volume"), "volume", target.volume.si, "typed"),
        given("N", say("target-by-changes-air-changes"), "air_changes", target.changes.si, "typed"),
    )
    flow: Estimate | float = target.volume.si * target.changes.si / SECONDS_PER_HOUR
    return result(
        say("label-airflow-wanted"),
        "airflow",
        flow,
        "q = V N ÷ 3600",
        ingredients,
        say("target-by-changes-definition-air"),
    )
