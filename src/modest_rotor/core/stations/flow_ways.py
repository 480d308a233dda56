"""Flow by every way that the readings allow, each with its own band and the conditions that void it."""

from __future__ import annotations

from collections.abc import Callable

from modest_rotor.core.entry import Entry
from modest_rotor.core.errors import Refusal
from modest_rotor.core.estimate import Estimate, measured, propagate
from modest_rotor.core.identify.chart import AmpsChart, BlowerTable
from modest_rotor.core.identify.flow import flow_through_known_point
from modest_rotor.core.identify.meters import read_by_meter
from modest_rotor.core.physics.fan import Wheel, generic_shape
from modest_rotor.core.physics.medium import water_properties
from modest_rotor.core.stations.charts import CountedParts
from modest_rotor.core.stations.flow_way import FlowContext, FlowWay, Objection, Way, waiting_way
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
HEAT_SOURCE = "Energy balance; sensible heat factor of ASHRAE Handbook, Fundamentals, at the place's density."


def flow_ways(facts: SetFacts, context: FlowContext, by_power: Result) -> tuple[FlowWay, ...]:
    """Every way, with its flow or with what it waits for; ways that the kind of machine does not have are left out.

    :param by_power: the flow by power and pressure, worked already.
    """
    ways = [_measured(facts, context)]
    if facts.reading.duct is DuctState.BARE_SHAFT:  # nothing is moved, whatever amps and speed would say of a wheel
        return (*ways, FlowWay(Way.POWER, by_power))
    if context.wheel is Wheel.PUMP:
        ways += [_water_heat(facts, context)]
    else:
        ways += [_rise(facts, context), _by_table(facts, context), _by_chart(facts, context)]
    ways += [_affinity(facts, context), *_on_curve(facts, context)]
    power = by_power.figure
    spread = (power.band or 0.0) / 1.96 if power else 0.0
    flow = measured(power.value, **{"efficiency of the generic machine": spread}) if power else None
    rough = Objection("the efficiency is only that of such machines") if flow else None
    ways.append(FlowWay(Way.POWER, by_power, flow, rough))
    return tuple(ways)


def _measured(facts: SetFacts, context: FlowContext) -> FlowWay:
    if facts.flow is None:
        return waiting_way(Way.MEASURED, "waits for a hood, a traverse or a meter")
    how = str(facts.reading.flow_by or "measured")
    read = (given("q", "flow", context.quantity, facts.flow, "measured", facts.title),)
    worked = result(Way.MEASURED.label, context.quantity, facts.flow, how, read, "ASHRAE Standard 111.")
    return FlowWay(Way.MEASURED, worked, facts.flow)


def _by_chart(facts: SetFacts, context: FlowContext) -> FlowWay:
    volts, amps = facts.running.voltage, facts.running.current
    if context.amps is None:
        return waiting_way(Way.CHART, "waits for the chart in the panel")
    if volts is None or amps is None:
        return waiting_way(Way.CHART, "waits for volts and amps")
    try:
        read = context.amps.flow(volts.value, amps.value)
    except Refusal as refusal:
        return FlowWay(Way.CHART, withheld(Way.CHART.label, refusal.sentence))
    flow = _numerically(context.amps, volts, amps, read.between).with_part("the chart", CHART_SD * read.between)
    remarks = [f"Between the {read.columns[0]:g} and {read.columns[1]:g} V columns, straight in volts."]
    if read.schools_differ:
        remarks.append(
            f"The nearest column, {read.nearest_volts:g} V, gives {100 * (read.nearest / read.between - 1):+.0f} %: both schools are in"
            " use; interpolation is taken, because the amps of a tap change smoothly with volts."
        )
    ingredients = (
        given("V", "volts", "voltage", volts, "measured", facts.title),
        given("I", "line amps", "current", amps, "measured", facts.title),
        given("q_n", "by the nearest column", "airflow", read.nearest, "worked-out"),
    )
    worked = result(
        Way.CHART.label,
        "airflow",
        flow,
        "q at I between the columns round V",
        ingredients,
        "The machine's own chart.",
        tuple(remarks),
    )
    objection = None if facts.on_full_tap else Objection("the chart belongs to one tap: say which before believing it")
    return FlowWay(Way.CHART, worked, flow, objection)


def _numerically(chart: AmpsChart, volts: Estimate, amps: Estimate, middle: float) -> Estimate:
    """The chart's flow with the errors of its two meters, by small steps that stay inside the chart."""
    parts: dict[str, float] = {}
    for source, move in ((volts, lambda step: chart.flow(volts.value + step, amps.value).between), (amps, lambda step: chart.flow(volts.value, amps.value + step).between)):  # fmt: skip
        slope = _slope(move, source.standard or 1e-9, middle)
        for name, part in source.parts.items():
            parts[name] = parts.get(name, 0.0) + slope * part
    return Estimate(middle, parts)


def _slope(flow_at: Callable[[float], float], step: float, middle: float) -> float:
    """How fast a looked-up flow changes, by a small step to whichever side the chart or table still has."""
    for way in (step, -step):
        try:
            return (flow_at(way) - middle) / way
        except Refusal:
            continue
    return middle / step  # at a corner nothing is known of the slope: the whole flow is in doubt


def _by_table(facts: SetFacts, context: FlowContext) -> FlowWay:
    if context.table is None:
        return waiting_way(Way.TABLE, "waits for the blower's table")
    if facts.pressure is None or facts.one_sided:
        return waiting_way(Way.TABLE, "waits for the static on both sides")
    static, remark, objection = _as_counted(facts, context)
    tap = _column(facts, context.table)
    if tap is None:
        return waiting_way(Way.TABLE, "waits for the speed tap, by the table's own names")
    try:
        middle = context.table.flow(tap, static.value)
    except Refusal as refusal:
        return FlowWay(Way.TABLE, withheld(Way.TABLE.label, refusal.sentence))
    slope = _slope(lambda step: context.table.flow(tap, static.value + step), static.standard or 1.0, middle)  # type: ignore[union-attr]
    flow = Estimate(middle, {name: slope * part for name, part in static.parts.items()})
    flow = flow.with_part("the blower's table", TABLE_SD * middle)
    read = (given("p", f"static as the table counts it, tap {tap}", "pressure", static, "measured", facts.title),)
    worked = result(
        Way.TABLE.label,
        "airflow",
        flow,
        "q at p on the tap",
        read,
        "The machine's own table.",
        (remark,) if remark else (),
    )
    return FlowWay(Way.TABLE, worked, flow, objection)


def _as_counted(facts: SetFacts, context: FlowContext) -> tuple[Estimate, str | None, Objection | None]:
    """The static as the table counts it: what it calls external added, what it calls its own taken out."""
    assert facts.pressure is not None
    static, reading = facts.pressure, facts.reading
    counted, between = context.charts.counted_external, reading.statics_hold
    if counted is None or between is None:
        return static, "Taken as the table counts it: nobody said what lies between the taps.", None
    told, objection = [], None
    for part, drop in (("filter", reading.filter_drop), ("coil", reading.coil_drop)):
        external = counted in (CountedParts.BOTH, CountedParts(part))
        inside = between in (StaticSpan.BOTH, StaticSpan(part))
        if external == (not inside):
            continue
        if drop is None:
            objection = Objection(
                f"the table counts the {part} as {'external' if external else 'its own'}: read the pressure across it"
            )
            continue
        across = read_by_meter(drop, "pressure", f"{part}, set {facts.number}", context.accuracies)
        static = static + across if external else static - across
        told.append(f"{part} {'added' if external else 'taken out'}")
    return static, ", ".join(told).capitalize() + "." if told else None, objection


def _column(facts: SetFacts, table: BlowerTable) -> str | None:
    names = [name for name, _, _ in table.columns]
    if len(names) == 1:
        return names[0]
    tap = facts.reading.tap
    if tap is None or not TAP_WORDS[tap]:
        return None
    found = [name for name in names if name.strip().lower().startswith(TAP_WORDS[tap])]
    return found[0] if len(found) == 1 else None


def _rise(facts: SetFacts, context: FlowContext) -> FlowWay:
    reading = facts.reading
    heat, ingredients = _heat(facts, context)
    if heat is None or reading.entering is None or reading.leaving is None:
        return waiting_way(Way.RISE, "waits for both air temperatures and the heat put in")
    rise = _difference(reading.entering, reading.leaving, facts, context)
    if rise.value <= 0:
        return FlowWay(Way.RISE, withheld(Way.RISE.label, "withheld: the air leaves no warmer than it enters"))
    factor = air_factor(context.target)
    (flow,) = propagate(lambda q, dt: q / (factor * dt), heat, rise)
    ingredients += (
        given("ΔT", "temperature rise", "temperature_difference", rise, "measured", facts.title),
        given("c", "heat per flow and kelvin, at altitude and temperature", "count", factor, "worked-out"),
    )
    remarks = ("The motor's own heat is not counted: it makes the flow read a little low where it sits in the air.",)
    worked = result(Way.RISE.label, "airflow", flow, "q = Q ÷ (c ΔT)", ingredients, HEAT_SOURCE, remarks)
    return FlowWay(Way.RISE, worked, flow, _against_rise(facts, rise.value))


def _against_rise(facts: SetFacts, rise: float) -> Objection | None:
    reading = facts.reading
    if reading.coil_is_wet == "yes":
        return Objection("a wet coil takes heat that no thermometer shows", void=True)
    if reading.in_sight == "yes":
        return Objection("the thermometer is in sight of the heat exchanger", void=True)
    if reading.running is not None and reading.running.si < STEADY_S:
        return Objection("not steady yet, wait ten minutes from the start", void=True)
    if rise < LEAST_RISE_K:
        return Objection("the rise is too small for two thermometers")
    return None


def _heat(facts: SetFacts, context: FlowContext) -> tuple[Estimate | None, tuple[Ingredient, ...]]:
    """Heat put into the air, W: fuel times efficiency, or heater volts times amps."""
    reading = facts.reading
    if reading.fuel_heat and reading.fuel_efficiency:
        fuel = measured(reading.fuel_heat.si, **{"clocked fuel": FUEL_SD * reading.fuel_heat.si})
        share = measured(reading.fuel_efficiency.si, **{"efficiency of the appliance": EFFICIENCY_SD})
        return fuel * share, (
            given("Q_f", "fuel burned", "heat_input", fuel, "measured", facts.title),
            given("η", "efficiency of the appliance", "efficiency", share, "plate"),
        )
    if reading.heater_volts and reading.heater_amps:
        volts = read_by_meter(reading.heater_volts, "voltage", f"heater volts, set {facts.number}", context.accuracies)
        amps = read_by_meter(reading.heater_amps, "current", f"heater amps, set {facts.number}", context.accuracies)
        return volts * amps, (
            given("V", "heater volts", "voltage", volts, "measured", facts.title),
            given("I", "heater amps", "current", amps, "measured", facts.title),
        )
    return None, ()


def _difference(entering: Entry, leaving: Entry, facts: SetFacts, context: FlowContext) -> Estimate:
    """Leaving less entering, K. Two thermometers: their errors are independent."""
    spread = read_by_meter(entering, "temperature", f"entering, set {facts.number}", context.accuracies)
    each = spread.standard
    value = leaving.si - entering.si
    return measured(value, **{"thermometer, entering": each, "thermometer, leaving": each})


def _water_heat(facts: SetFacts, context: FlowContext) -> FlowWay:
    reading = facts.reading
    heat, ingredients = _heat(facts, context)
    if heat is None or reading.entering is None or reading.leaving is None:
        return waiting_way(Way.RISE, "waits for both water temperatures and the heat put in")
    rise = _difference(reading.entering, reading.leaving, facts, context)
    if rise.value <= 0:
        return FlowWay(Way.RISE, withheld(Way.RISE.label, "withheld: the water leaves no warmer than it enters"))
    try:
        density, specific = water_properties((reading.entering.si + reading.leaving.si) / 2)
    except Refusal as refusal:
        return FlowWay(Way.RISE, withheld(Way.RISE.label, refusal.sentence))
    (flow,) = propagate(lambda q, dt: q / (density * specific * dt), heat, rise)
    ingredients += (given("ΔT", "temperature rise", "temperature_difference", rise, "measured", facts.title),)
    worked = result(Way.RISE.label, "water_flow", flow, "q = Q ÷ (ρ c ΔT)", ingredients, "Energy balance; IAPWS-95.")
    rough = Objection("the difference is small for two thermometers") if rise.value < LEAST_RISE_K else None
    return FlowWay(Way.RISE, worked, flow, rough)


def _affinity(facts: SetFacts, context: FlowContext) -> FlowWay:
    known = context.known
    if known is None or known.id == facts.id or known.flow is None:
        return waiting_way(Way.AFFINITY, "waits for another set with a measured flow")
    now, then = _machine_speed(facts), _machine_speed(known)
    if now is None or then is None:
        return waiting_way(Way.AFFINITY, "waits for a speed in both sets")
    (flow,) = propagate(lambda q, n, n0: q * n / n0, known.flow, now, then)
    flow = flow.with_part("affinity law", AFFINITY_SD * flow.value)
    ingredients = (
        given("q₁", "known flow", context.quantity, known.flow, "measured", known.title),
        given("n₁", "speed then", "speed", then, "measured", known.title),
        given("n", "speed now", "speed", now, "measured", facts.title),
    )
    worked = result(Way.AFFINITY.label, context.quantity, flow, "q = q₁ n ÷ n₁", ingredients, "AMCA Publication 201.")
    return FlowWay(Way.AFFINITY, worked, flow, _other_system(facts, known, now.value, then.value))


def _other_system(facts: SetFacts, known: SetFacts, now: float, then: float) -> Objection | None:
    if facts.reading.duct is not known.reading.duct and facts.reading.duct and known.reading.duct:
        return Objection("the duct was in another state then", void=True)
    if facts.pressure and known.pressure and known.pressure.value > 0:
        off = facts.pressure.value / known.pressure.value / (now / then) ** 2 - 1
        if abs(off) > SAME_SYSTEM:
            return Objection("pressure does not go with speed squared, so the system is another", void=True)
        return None
    return Objection("holds on one system only; read the static in both sets to prove that it is the same")


def _machine_speed(facts: SetFacts) -> Estimate | None:
    reading = facts.reading
    if reading.fan_speed is not None:
        return read_by_meter(reading.fan_speed, "speed", f"fan speed, set {facts.number}")
    return facts.running.speed


def _on_curve(facts: SetFacts, context: FlowContext) -> tuple[FlowWay, ...]:
    known = context.known
    waits = "waits for another set with flow, pressure and load, and for a speed in both"
    unknown = known is None or known.id == facts.id or not (known.flow and known.pressure and known.shaft_power)
    now, then = _machine_speed(facts), _machine_speed(known) if known else None
    if unknown or now is None or then is None or context.wheel is None:
        return (
            waiting_way(Way.CURVE, waits),
            waiting_way(Way.CURVE_POWER, waits),
        )
    assert known is not None
    ratio = now.value / then.value
    pressure = (facts.pressure.value, facts.pressure.standard) if facts.pressure and not facts.one_sided else None
    power = (facts.shaft_power.value, facts.shaft_power.standard) if facts.shaft_power else None
    return (
        _place(Way.CURVE, facts, context, known, ratio, None, pressure, "waits for the static on both sides"),
        _place(Way.CURVE_POWER, facts, context, known, ratio, power, None, "waits for a load"),
    )


def _place(
    way: Way,
    facts: SetFacts,
    context: FlowContext,
    known: SetFacts,
    ratio: float,
    power: tuple[float, float] | None,
    pressure: tuple[float, float] | None,
    waits: str,
) -> FlowWay:
    """Flow along the curve through the known point, over the places where that may lie on a generic curve."""
    if power is None and pressure is None:
        return waiting_way(way, waits)
    assert context.wheel and known.flow and known.pressure and known.shaft_power
    shape = generic_shape(context.wheel)
    point = (known.flow.value, known.pressure.value, known.shaft_power.value)
    mean, spread = flow_through_known_point(shape, point, PLACES, ratio, power, pressure)
    flow = measured(mean, **{"generic curve": spread}) + (known.flow - known.flow.value) * (mean / known.flow.value)
    ingredients: list[Ingredient] = [given("q₁", "known flow", context.quantity, known.flow, "measured", known.title)]
    if pressure and facts.pressure:
        ingredients.append(given("p", "pressure", "pressure", facts.pressure, "measured", facts.title))
    if power and facts.shaft_power:
        ingredients.append(given("P", "shaft power", "shaft_power", facts.shaft_power, "estimated", facts.title))
    worked = result(
        way.label, context.quantity, flow, "q where the curve through the known point, at this speed, agrees best", tuple(ingredients),
        "AMCA Publication 201 for the curve's move; generic shape our judgement, no source.",
    )  # fmt: skip
    return FlowWay(way, worked, flow)
