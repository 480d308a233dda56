"""Flow by every method that the readings allow, each with its own uncertainty and the conditions that void it."""

from __future__ import annotations

from collections.abc import Callable

from modest_rotor.core.entry import Entry
from modest_rotor.core.errors import Refusal
from modest_rotor.core.estimate import Estimate, measured, propagate
from modest_rotor.core.identify.chart import AmpsChart, BlowerTable
from modest_rotor.core.identify.flow import flow_through_known_point
from modest_rotor.core.identify.meters import read_by_meter
from modest_rotor.core.physics.fan import MachineType, generic_shape
from modest_rotor.core.physics.medium import water_properties
from modest_rotor.core.say import Number, capital, joined, say, tell
from modest_rotor.core.stations.charts import CountedParts
from modest_rotor.core.stations.flow_method import FlowByMethod, FlowContext, FlowMethod, Objection, waiting_method
from modest_rotor.core.stations.readings import DuctState, SpeedTap, StaticSpan
from modest_rotor.core.stations.set_facts import SetFacts
from modest_rotor.core.stations.target import air_factor
from modest_rotor.core.working import Ingredient, Result, given, result, withheld

CHART_SD, TABLE_SD, AFFINITY_SD = 0.03, 0.03, 0.02
"""How far a sound machine strays from the chart or table glued into it, and from the affinity law between two of its own
readings; standard deviations as shares. Our judgement; fan rating standards (AMCA 211) allow about as much."""
SAME_SYSTEM = 0.08
"""Share by which pressure over speed squared may differ on one system. Our judgement, no source."""
STEADY_S, LEAST_RISE_K = 600.0, 5.0
"""Seconds until temperatures stand still, and the rise below which two thermometers tell too little. Common practice."""
FUEL_SD, EFFICIENCY_SD = 0.015, 0.01
PLACES = ((0.7, 0.12), (0.85, 0.23), (1.0, 0.30), (1.15, 0.23), (1.3, 0.12))
"""Where a known point may lie on its generic curve, and the weight of each place. Our judgement, no source."""
TAP_WORDS = {SpeedTap.SINGLE: "", SpeedTap.HIGH: "h", SpeedTap.MEDIUM: "m", SpeedTap.LOW: "l", SpeedTap.REGULATED: ""}
HEAT_SOURCE = say("flow-ways-heat-source")


def flow_methods(facts: SetFacts, context: FlowContext, by_power: Result) -> tuple[FlowByMethod, ...]:
    """Every method, with its flow or with what it waits for; methods that the kind of machine does not have are left out.

    :param by_power: the flow by power and pressure, worked already.
    """
    methods = [_measured(facts, context)]
    if facts.reading.duct is DuctState.BARE_SHAFT:  # nothing is moved, whatever amps and speed would say of a wheel
        return (*methods, FlowByMethod(FlowMethod.POWER, by_power))
    if context.machine_type is MachineType.PUMP:
        methods += [_water_heat(facts, context)]
    else:
        methods += [_rise(facts, context), _by_table(facts, context), _by_chart(facts, context)]
    methods += [_affinity(facts, context), *_on_curve(facts, context)]
    power = by_power.figure
    spread = (power.uncertainty or 0.0) / 1.96 if power else 0.0
    flow = measured(power.value, **{"efficiency of the generic machine": spread}) if power else None
    rough = Objection(say("flow-ways")) if flow else None
    methods.append(FlowByMethod(FlowMethod.POWER, by_power, flow, rough))
    return tuple(methods)


def _measured(facts: SetFacts, context: FlowContext) -> FlowByMethod:
    if facts.flow is None:
        return waiting_method(FlowMethod.MEASURED, say("flow-ways-measured-waits-hood"))
    how = str(facts.reading.flow_by or "measured")
    read = (given("q", say("term-flow"), context.quantity, facts.flow, "measured", facts.title),)
    worked = result(
        FlowMethod.MEASURED.label, context.quantity, facts.flow, how, read, say("flow-ways-measured-ashrae-standard")
    )
    return FlowByMethod(FlowMethod.MEASURED, worked, facts.flow)


def _by_chart(facts: SetFacts, context: FlowContext) -> FlowByMethod:
    volts, amps = facts.running.voltage, facts.running.current
    if context.amps is None:
        return waiting_method(FlowMethod.CHART, say("flow-ways-by-chart-waits-chart"))
    if volts is None or amps is None:
        return waiting_method(FlowMethod.CHART, say("term-waits-for-volts-and-amps"))
    try:
        read = context.amps.flow(volts.value, amps.value)
    except Refusal as refusal:
        return FlowByMethod(FlowMethod.CHART, withheld(FlowMethod.CHART.label, (refusal.sentence,)))
    flow = _numerically(context.amps, volts, amps, read.between).with_contribution("the chart", CHART_SD * read.between)
    remarks = [
        say(
            "flow-ways-by-chart-between-v", columns=Number(read.columns[0], "g"), columns_2=Number(read.columns[1], "g")
        )
    ]
    if read.schools_differ:
        remarks.append(
            say(
                "flow-ways-by-chart-nearest-column",
                nearest_volts=Number(read.nearest_volts, "g"),
                between=Number(100 * (read.nearest / read.between - 1), "+.0f"),
            )
        )
    ingredients = (
        given("V", say("term-volts"), "voltage", volts, "measured", facts.title),
        given("I", say("term-line-amps"), "current", amps, "measured", facts.title),
        given("q_n", say("flow-ways-by-chart-nearest-column-2"), "airflow", read.nearest, "worked-out"),
    )
    worked = result(
        FlowMethod.CHART.label,
        "airflow",
        flow,
        say("flow-ways-by-chart-q-i"),
        ingredients,
        say("flow-ways-by-chart-machine-s"),
        tuple(remarks),
    )
    objection = None if facts.on_full_tap else Objection(say("flow-ways-by-chart-chart-belongs"))
    return FlowByMethod(FlowMethod.CHART, worked, flow, objection)


def _numerically(chart: AmpsChart, volts: Estimate, amps: Estimate, middle: float) -> Estimate:
    """The chart's flow with the errors of its two meters, by small steps that stay inside the chart."""
    contributions: dict[str, float] = {}
    for source, move in ((volts, lambda step: chart.flow(volts.value + step, amps.value).between), (amps, lambda step: chart.flow(volts.value, amps.value + step).between)):  # fmt: skip
        slope = _slope(move, source.standard or 1e-9, middle)
        for name, contribution in source.contributions.items():
            contributions[name] = contributions.get(name, 0.0) + slope * contribution
    return Estimate(middle, contributions)


def _slope(flow_at: Callable[[float], float], step: float, middle: float) -> float:
    """How fast a looked-up flow changes, by a small step to whichever side the chart or table still has."""
    for move in (step, -step):
        try:
            return (flow_at(move) - middle) / move
        except Refusal:
            continue
    return middle / step  # at a corner nothing is known of the slope: the whole flow is in doubt


def _by_table(facts: SetFacts, context: FlowContext) -> FlowByMethod:
    if context.table is None:
        return waiting_method(FlowMethod.TABLE, say("flow-ways-by-table-waits-blower"))
    if facts.pressure is None or facts.one_sided:
        return waiting_method(FlowMethod.TABLE, say("term-waits-for-the-static-on"))
    static, remark, objection = _as_counted(facts, context)
    tap = _column(facts, context.table)
    if tap is None:
        return waiting_method(FlowMethod.TABLE, say("flow-ways-by-table-waits-speed"))
    try:
        middle = context.table.flow(tap, static.value)
    except Refusal as refusal:
        return FlowByMethod(FlowMethod.TABLE, withheld(FlowMethod.TABLE.label, (refusal.sentence,)))
    slope = _slope(lambda step: context.table.flow(tap, static.value + step), static.standard or 1.0, middle)  # type: ignore[union-attr]
    flow = Estimate(middle, {name: slope * contribution for name, contribution in static.contributions.items()})
    flow = flow.with_contribution("the blower's table", TABLE_SD * middle)
    read = (given("p", say("flow-ways-by-table-static-table", tap=tap), "pressure", static, "measured", facts.title),)
    worked = result(
        FlowMethod.TABLE.label,
        "airflow",
        flow,
        say("flow-ways-by-table-q-p"),
        read,
        say("flow-ways-by-table-machine-s"),
        (remark,) if remark else (),
    )
    return FlowByMethod(FlowMethod.TABLE, worked, flow, objection)


def _as_counted(facts: SetFacts, context: FlowContext) -> tuple[Estimate, str | None, Objection | None]:
    """The static as the table counts it: what it calls external added, what it calls its own taken out."""
    assert facts.pressure is not None
    static, reading = facts.pressure, facts.reading
    counted, between = context.charts.counted_external, reading.statics_hold
    if counted is None or between is None:
        return static, say("flow-ways-as-counted-taken-table"), None
    told, objection = [], None
    for part, drop in (("filter", reading.filter_drop), ("coil", reading.coil_drop)):
        external = counted in (CountedParts.BOTH, CountedParts(part))
        inside = between in (StaticSpan.BOTH, StaticSpan(part))
        if external == (not inside):
            continue
        if drop is None:
            objection = Objection(
                say(
                    "flow-ways-as-counted-table-counts",
                    part=part,
                    external=say("flow-ways-as-counted-external") if external else say("flow-ways-as-counted-own"),
                )
            )
            continue
        across = read_by_meter(drop, "pressure", f"{part}, set {facts.number}", context.accuracies)
        static = static + across if external else static - across
        told.append(say("flow-ways-added", part=part) if external else say("flow-ways-taken-out", part=part))
    return static, say("flow-ways-as-counted-told", parts=capital(joined(", ", told))) if told else None, objection


def _column(facts: SetFacts, table: BlowerTable) -> str | None:
    names = [name for name, _, _ in table.columns]
    if len(names) == 1:
        return names[0]
    tap = facts.reading.tap
    if tap is None or not TAP_WORDS[tap]:
        return None
    found = [name for name in names if name.strip().lower().startswith(TAP_WORDS[tap])]
    return found[0] if len(found) == 1 else None


def _rise(facts: SetFacts, context: FlowContext) -> FlowByMethod:
    reading = facts.reading
    heat, ingredients = _heat(facts, context)
    if heat is None or reading.entering is None or reading.leaving is None:
        return waiting_method(FlowMethod.RISE, say("flow-ways-rise-waits-both"))
    rise = _difference(reading.entering, reading.leaving, facts, context)
    if rise.value <= 0:
        return FlowByMethod(FlowMethod.RISE, withheld(FlowMethod.RISE.label, tell("flow-ways-rise-withheld-air")))
    factor = air_factor(context.target)
    (flow,) = propagate(lambda q, dt: q / (factor * dt), heat, rise)
    ingredients += (
        given("ΔT", say("term-temperature-rise"), "temperature_difference", rise, "measured", facts.title),
        given("c", say("flow-ways-rise-heat-per"), "count", factor, "worked-out"),
    )
    remarks = (say("flow-ways-rise-motor-s"),)
    worked = result(FlowMethod.RISE.label, "airflow", flow, "q = Q ÷ (c ΔT)", ingredients, HEAT_SOURCE, remarks)
    return FlowByMethod(FlowMethod.RISE, worked, flow, _against_rise(facts, rise.value))


def _against_rise(facts: SetFacts, rise: float) -> Objection | None:
    reading = facts.reading
    if reading.coil_is_wet == "yes":
        return Objection(say("flow-ways-against-rise-wet-coil"), void=True)
    if reading.in_sight == "yes":
        return Objection(say("flow-ways-against-rise-thermometer-sight"), void=True)
    if reading.running is not None and reading.running.si < STEADY_S:
        return Objection(say("flow-ways-against-rise-steady-yet"), void=True)
    if rise < LEAST_RISE_K:
        return Objection(say("flow-ways-against-rise-rise-too"))
    return None


def _heat(facts: SetFacts, context: FlowContext) -> tuple[Estimate | None, tuple[Ingredient, ...]]:
    """Heat put into the air, W: fuel times efficiency, or heater volts times amps."""
    reading = facts.reading
    if reading.fuel_heat and reading.fuel_efficiency:
        fuel = measured(reading.fuel_heat.si, **{"clocked fuel": FUEL_SD * reading.fuel_heat.si})
        share = measured(reading.fuel_efficiency.si, **{"efficiency of the appliance": EFFICIENCY_SD})
        return fuel * share, (
            given("Q_f", say("flow-ways-heat-fuel-burned"), "heat_input", fuel, "measured", facts.title),
            given("η", say("flow-ways-heat-efficiency-appliance"), "efficiency", share, "plate"),
        )
    if reading.heater_volts and reading.heater_amps:
        volts = read_by_meter(reading.heater_volts, "voltage", f"heater volts, set {facts.number}", context.accuracies)
        amps = read_by_meter(reading.heater_amps, "current", f"heater amps, set {facts.number}", context.accuracies)
        return volts * amps, (
            given("V", say("flow-ways-heat-heater-volts"), "voltage", volts, "measured", facts.title),
            given("I", say("flow-ways-heat-heater-amps"), "current", amps, "measured", facts.title),
        )
    return None, ()


def _difference(entering: Entry, leaving: Entry, facts: SetFacts, context: FlowContext) -> Estimate:
    """Leaving less entering, K. Two thermometers: their errors are independent."""
    spread = read_by_meter(entering, "temperature", f"entering, set {facts.number}", context.accuracies)
    each = spread.standard
    value = leaving.si - entering.si
    return measured(value, **{"thermometer, entering": each, "thermometer, leaving": each})


def _water_heat(facts: SetFacts, context: FlowContext) -> FlowByMethod:
    reading = facts.reading
    heat, ingredients = _heat(facts, context)
    if heat is None or reading.entering is None or reading.leaving is None:
        return waiting_method(FlowMethod.RISE, say("flow-ways-water-heat-waits-both"))
    rise = _difference(reading.entering, reading.leaving, facts, context)
    if rise.value <= 0:
        return FlowByMethod(
            FlowMethod.RISE, withheld(FlowMethod.RISE.label, tell("flow-ways-water-heat-withheld-water"))
        )
    try:
        density, specific = water_properties((reading.entering.si + reading.leaving.si) / 2)
    except Refusal as refusal:
        return FlowByMethod(FlowMethod.RISE, withheld(FlowMethod.RISE.label, (refusal.sentence,)))
    (flow,) = propagate(lambda q, dt: q / (density * specific * dt), heat, rise)
    ingredients += (given("ΔT", say("term-temperature-rise"), "temperature_difference", rise, "measured", facts.title),)
    worked = result(
        FlowMethod.RISE.label,
        "water_flow",
        flow,
        "q = Q ÷ (ρ c ΔT)",
        ingredients,
        say("flow-ways-water-heat-energy-balance"),
    )
    rough = Objection(say("flow-ways-water-heat-difference-small")) if rise.value < LEAST_RISE_K else None
    return FlowByMethod(FlowMethod.RISE, worked, flow, rough)


def _affinity(facts: SetFacts, context: FlowContext) -> FlowByMethod:
    known = context.known
    if known is None or known.id == facts.id or known.flow is None:
        return waiting_method(FlowMethod.AFFINITY, say("flow-ways-affinity-waits-another"))
    now, then = _machine_speed(facts), _machine_speed(known)
    if now is None or then is None:
        return waiting_method(FlowMethod.AFFINITY, say("flow-ways-affinity-waits-speed"))
    (flow,) = propagate(lambda q, n, n0: q * n / n0, known.flow, now, then)
    flow = flow.with_contribution("affinity law", AFFINITY_SD * flow.value)
    ingredients = (
        given("q₁", say("term-known-flow"), context.quantity, known.flow, "measured", known.title),
        given("n₁", say("flow-ways-affinity-speed-then"), "speed", then, "measured", known.title),
        given("n", say("flow-ways-affinity-speed-now"), "speed", now, "measured", facts.title),
    )
    worked = result(
        FlowMethod.AFFINITY.label,
        context.quantity,
        flow,
        "q = q₁ n ÷ n₁",
        ingredients,
        say("flow-ways-affinity-amca-publication"),
    )
    return FlowByMethod(FlowMethod.AFFINITY, worked, flow, _other_system(facts, known, now.value, then.value))


def _other_system(facts: SetFacts, known: SetFacts, now: float, then: float) -> Objection | None:
    if facts.reading.duct is not known.reading.duct and facts.reading.duct and known.reading.duct:
        return Objection(say("flow-ways-other-system-duct-another"), void=True)
    if facts.pressure and known.pressure and known.pressure.value > 0:
        off = facts.pressure.value / known.pressure.value / (now / then) ** 2 - 1
        if abs(off) > SAME_SYSTEM:
            return Objection(say("flow-ways-other-system-pressure-does"), void=True)
        return None
    return Objection(say("flow-ways-other-system-holds-one"))


def _machine_speed(facts: SetFacts) -> Estimate | None:
    reading = facts.reading
    if reading.fan_speed is not None:
        return read_by_meter(reading.fan_speed, "speed", f"fan speed, set {facts.number}")
    return facts.running.speed


def _on_curve(facts: SetFacts, context: FlowContext) -> tuple[FlowByMethod, ...]:
    known = context.known
    waits = say("flow-ways-on-curve-waits-another")
    unknown = known is None or known.id == facts.id or not (known.flow and known.pressure and known.shaft_power)
    now, then = _machine_speed(facts), _machine_speed(known) if known else None
    if unknown or now is None or then is None or context.machine_type is None:
        return (waiting_method(FlowMethod.CURVE, waits), waiting_method(FlowMethod.CURVE_POWER, waits))
    assert known is not None
    ratio = now.value / then.value
    pressure = (facts.pressure.value, facts.pressure.standard) if facts.pressure and not facts.one_sided else None
    power = (facts.shaft_power.value, facts.shaft_power.standard) if facts.shaft_power else None
    return (
        _place(FlowMethod.CURVE, facts, context, known, ratio, None, pressure, say("term-waits-for-the-static-on")),
        _place(FlowMethod.CURVE_POWER, facts, context, known, ratio, power, None, say("flow-ways-on-curve-waits-load")),
    )


def _place(
    method: FlowMethod,
    facts: SetFacts,
    context: FlowContext,
    known: SetFacts,
    ratio: float,
    power: tuple[float, float] | None,
    pressure: tuple[float, float] | None,
    waits: str,
) -> FlowByMethod:
    """Flow along the curve through the known point, over the places where that may lie on a generic curve."""
    if power is None and pressure is None:
        return waiting_method(method, waits)
    assert context.machine_type and known.flow and known.pressure and known.shaft_power
    shape = generic_shape(context.machine_type)
    point = (known.flow.value, known.pressure.value, known.shaft_power.value)
    mean, spread = flow_through_known_point(shape, point, PLACES, ratio, power, pressure)
    flow = measured(mean, **{"generic curve": spread}) + (known.flow - known.flow.value) * (mean / known.flow.value)
    ingredients: list[Ingredient] = [
        given("q₁", say("term-known-flow"), context.quantity, known.flow, "measured", known.title)
    ]
    if pressure and facts.pressure:
        ingredients.append(given("p", say("term-pressure"), "pressure", facts.pressure, "measured", facts.title))
    if power and facts.shaft_power:
        ingredients.append(
            given("P", say("term-shaft-power"), "shaft_power", facts.shaft_power, "estimated", facts.title)
        )
    worked = result(
        method.label, context.quantity, flow, say("flow-ways-place-q-where"), tuple(ingredients),
        say("flow-ways-place-amca-publication"),
    )  # fmt: skip
    return FlowByMethod(method, worked, flow)
