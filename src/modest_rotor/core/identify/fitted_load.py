"""The load of a motor by its fitted model, as the methods of a set of readings."""

from __future__ import annotations

import math

from modest_rotor.core.estimate import Estimate, propagate
from modest_rotor.core.identify.fit import FittedMotor
from modest_rotor.core.identify.load import LoadByMethod, Method
from modest_rotor.core.identify.rows import Reading
from modest_rotor.core.identify.shaft_power import FittedMethod, by_methods
from modest_rotor.core.say import say, small

METHOD_OF = {
    FittedMethod.WATTS: Method.FITTED_WATTS,
    FittedMethod.SPEED: Method.FITTED_SPEED,
    FittedMethod.AMPS: Method.FITTED_AMPS,
    FittedMethod.ALL: Method.FITTED,
}
REASONS = {
    FittedMethod.WATTS: say("fitted-load-reasons-true-watts"),
    FittedMethod.SPEED: say("fitted-load-reasons-fitted-motor"),
    FittedMethod.AMPS: say("fitted-load-reasons-volts-amps"),
    FittedMethod.ALL: say("fitted-load-reasons-motor-agrees"),
}
LACKS = {
    FittedMethod.WATTS: ("watts", "speed"),
    FittedMethod.SPEED: ("speed",),
    FittedMethod.AMPS: (say("term-line-amps"), "speed"),
}
TOO_MUCH_SHARE = 0.72
"""Spread of the logarithm of an efficiency towards its upper end, over that towards its lower. Our judgement, no source."""
REGULATED_SD = 0.10
"""How far cut volts put the equations off behind a regulator, standard deviation as a share. Our judgement, no source."""
NAIVE = say("fitted-load-naive")


def fitted_methods(bare: FittedMotor, full: FittedMotor, place: int, reading: Reading) -> tuple[LoadByMethod, ...]:
    """Shaft power by watts, by speed and by volts × amps, each through the motor fitted to its plate; then by all together.

    :param bare: fitted to the plate and the speeds alone, so that no method is fed with what it is then multiplied by.
    :param full: fitted to every reading.
    :param place: which of their readings.
    :param reading: that reading, whole.

    Source: our own study, benchmarks/estimation.py, for what each may promise.
    """
    apart = by_methods(bare, place, (FittedMethod.WATTS, FittedMethod.SPEED, FittedMethod.AMPS), reading)
    together = FittedMethod.WATTS if reading.regulated and reading.input_power and reading.speed else FittedMethod.ALL
    whole = by_methods(full, place, (together,), reading)[together]
    rated = full.plate.rated_power_w or 1.0
    return (
        *(_method(power, METHOD_OF[fitted], fitted, reading, rated) for fitted, power in apart.items()),
        _method(whole, Method.FITTED, together, reading, rated),
    )


def doubted(method: LoadByMethod) -> LoadByMethod:
    """A plain formula beside the fitted motor: it is shown, with its known lean taken out, and never chosen."""
    if not method.trusted:
        return method
    reason = say("fitted-load-doubted", naive=NAIVE, reason=small(method.reason))
    return LoadByMethod(**{**method.__dict__, "trusted": False, "reason": reason})


def with_machine_side(method: LoadByMethod, machine: Estimate | None, rated_w: float) -> LoadByMethod:
    """The motor's value weighed with the machine's own, which shares no error with it.

    :param method: by the fitted motor.
    :param machine: shaft power from flow, pressure and the machine's efficiency, W.
    :param rated_w: rated power, W.

    Weighed as logarithms: an efficiency strays by factors, so a machine side that is half of the motor's is as far away as one
    that is twice it. Source: inverse-variance weighting of independent values, JCGM 100 (GUM).
    """
    motor = method.shaft_power
    if motor is None or machine is None or min(motor.value, machine.value, motor.standard, machine.standard) <= 0:
        return method
    of_motor, of_machine = motor * (1 / motor.value), machine * (1 / machine.value)
    share = of_motor.standard**2 / (of_motor.standard**2 + of_machine.standard**2)
    value = motor.value ** (1 - share) * machine.value**share
    both = of_motor * (1 - share) + of_machine * share
    return _as_method(method.method, both * value, rated_w, method.reason)


def apart(motor: Estimate, machine: Estimate, is_fan: bool) -> float:
    """How far a machine side lies from the motor's shaft power, in standard deviations of a logarithm; above zero where flow
    and pressure ask for more than the motor gives.

    A fan's efficiency has an upper end, that of the best wheel of its kind, and hardly a lower one, since a static read outside
    the cabinet misses part of it: so too much is told apart sooner than too little. Source: our judgement, no source.
    """
    off = math.log(machine.value / motor.value)
    spread = (machine * (1 / machine.value) - motor * (1 / motor.value)).standard
    return off / (TOO_MUCH_SHARE * spread if is_fan and off > 0 else spread)


def _method(
    power: Estimate | None, method: Method, fitted: FittedMethod, reading: Reading, rated: float
) -> LoadByMethod:
    if power is None:
        missing = tuple(word for word in LACKS.get(fitted, ()) if _lacking(reading, word))
        return LoadByMethod(method, None, None, None, None, False, say("term-not-worked-out"), missing)
    if not math.isfinite(power.value) or power.value <= 0:
        return LoadByMethod(method, None, None, None, None, False, say("fitted-load-method-withheld-fitted"))
    if reading.regulated:
        power = power.with_contribution(f"cut volts, {reading.name}", REGULATED_SD * power.value)
    return _as_method(method, power, rated, REASONS[fitted])


def _lacking(reading: Reading, word: str) -> bool:
    value = {"watts": reading.input_power, "speed": reading.speed, "line amps": reading.current}[word]
    return value is None


def _as_method(method: Method, power: Estimate, rated: float, reason: str) -> LoadByMethod:
    load, uncertainty = power.value / rated, power.uncertainty / rated
    return LoadByMethod(method, load, power, max(load - uncertainty, 0.0), load + uncertainty, True, reason)


def machine_side_power(flow: Estimate | None, pressure: Estimate | None, efficiency: Estimate) -> Estimate | None:
    """Shaft power that flow and pressure ask for, q p / η, in W; nothing without both.

    :param flow: m³/s. :param pressure: Pa. :param efficiency: of the machine, a fraction.

    Source: definition of fan and pump efficiency.
    """
    if flow is None or pressure is None or flow.value <= 0 or pressure.value <= 0:
        return None
    (power,) = propagate(lambda q, p, eta: q * p / eta, flow, pressure, efficiency)
    return power
