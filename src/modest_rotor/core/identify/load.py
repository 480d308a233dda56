"""Shaft power by every method that the readings allow, each with its uncertainty and its reason to be trusted or doubted."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, field

from modest_rotor.core.coded import Coded
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import COVERAGE_95, Estimate, measured, propagate
from modest_rotor.core.identify.efficiency import TypicalMotor
from modest_rotor.core.identify.motor import MotorKind, PlateFacts
from modest_rotor.core.physics.induction import shaft_power_from_input_w, slip
from modest_rotor.core.say import Number, joined, say
from modest_rotor.core.tables import read_table


class Method(Coded):
    """The ways to the load of a motor: by the fitted motor, and by plain formulas where it could not be fitted."""

    FITTED = "fitted"
    FITTED_WATTS = "fitted-watts"
    FITTED_SPEED = "fitted-speed"
    FITTED_AMPS = "fitted-amps"
    WATTS = "watts"
    SLIP = "slip"
    AMPS = "amps"


BEST_UNFITTED_SHARE = {
    MotorKind.SPLIT_CAPACITOR: 0.13,
    MotorKind.SINGLE_PHASE: 0.13,
    MotorKind.SHADED_POLE: 0.20,
    MotorKind.THREE_PHASE: 0.07,
}
"""Standard deviation, as a share of the result, below which watts × typical losses are not believed before the motor has
been fitted to its readings. Our judgement, no source: wide enough for the textbook machines of the tests, of which the
capacitor machine, without core loss and friction, lies at the edge."""
LOW_LOAD_SHARE = 0.04
"""The same floor as a share of rated power: ± 8 %, which governs below about 40 % load."""
LOW_TAP_SHARE = 0.20
"""Standard deviation of watts × efficiency on a low tap or behind a regulator, where the plate's losses do not hold."""
TRUSTED_AMPS_LOAD_THREE_PHASE = 0.75
"""Load by the formula from which on the amps of a three-phase motor are trusted. Common practice."""
TRUSTED_AMPS_LOAD = 0.95
"""The same for any other motor: below it the formula reads much the same at a fifth of the load. Our own study."""
WIDE_ERRORS = 1.5
"""Upper end of formula over truth from which on a method says that its uncertainty is wide. Our judgement, no source."""
CLEARLY_NARROWER = 0.7
"""Width over that of watts below which another method goes before them. Our judgement, no source."""


@dataclass(frozen=True)
class Running:
    """One set of readings as estimates in SI; what was not read is ``None``."""

    voltage: Estimate | None = None
    current: Estimate | None = None
    speed: Estimate | None = None
    input_power: Estimate | None = None
    full_tap: bool = True
    tap_said: bool = True


@dataclass(frozen=True)
class LoadByMethod:
    """What one method says.

    :param formula_load: load by the plain formula, as a fraction of rated power; ``None`` when it could not be worked.
    :param shaft_power: shaft power in W corrected for the formula's known lean, with its uncertainty; ``None`` when void.
    :param low: lower end of the 95 % range of the load, a fraction of rated.
    :param high: upper end.
    :param trusted: whether it may be chosen.
    :param reason: why it is or is not trusted here.
    """

    method: Method
    formula_load: float | None
    shaft_power: Estimate | None
    low: float | None
    high: float | None
    trusted: bool
    reason: str
    missing: tuple[str, ...] = field(default=())


def load_by_slip(running: Running, plate: PlateFacts) -> LoadByMethod:
    """Load = (n_s − n) / (n_s − n_N) × (V/V_N)².

    Low volts make a motor slip more at the same load, so they lower the estimate. Volts are left out when not read.

    Validity: high tap, warm motor, plate speed taken at its word. Source: US Department of Energy, Motor Challenge fact
    sheet “Determining Electric Motor Load and Efficiency”, slip method with voltage compensation (from memory).
    """
    missing = _missing(("speed", running.speed), (say("term-rated-speed-and-frequency"), plate.synchronous_speed_rpm))
    if missing:
        return _void(Method.SLIP, say("term-not-worked-out"), missing)
    assert running.speed and plate.synchronous_speed_rpm and plate.rated_slip
    if not running.full_tap:
        return _void(Method.SLIP, say("identify-load-load-by-slip-withheld-off"))
    now = slip(running.speed.value, plate.synchronous_speed_rpm)
    if now < 0:
        return _void(Method.SLIP, say("term-withheld-the-speed-is-above"))
    load = now / plate.rated_slip * _volts_ratio(running, plate) ** 2
    said = "" if running.tap_said else say("identify-load-load-by-slip-holds-only")
    volts = "" if running.voltage else say("identify-load-load-by-slip-volts-read")
    reason = say("identify-load-load-by-slip-needs-contact", volts=volts, said=said)
    return _by_formula(Method.SLIP, load, plate, reason, trusted=True)


def load_by_amps(running: Running, plate: PlateFacts) -> LoadByMethod:
    """Load = I / I_N × V / V_N.

    Validity: near rated load; below it the magnetising current hides the load, of a capacitor motor the auxiliary
    winding's too. Source: as for slip, line-current method.
    """
    missing = _missing((say("term-line-amps"), running.current), (say("term-full-load-amps"), plate.rated_current_a))
    if missing:
        return _void(Method.AMPS, say("term-not-worked-out"), missing)
    assert running.current and plate.rated_current_a
    if not running.full_tap:
        return _void(Method.AMPS, say("identify-load-load-by-amps-withheld-full"))
    load = running.current.value / plate.rated_current_a * _volts_ratio(running, plate)
    three_phase = plate.kind is MotorKind.THREE_PHASE
    least = TRUSTED_AMPS_LOAD_THREE_PHASE if three_phase else TRUSTED_AMPS_LOAD
    trusted = load >= least
    reason = (
        say("identify-load-load-by-amps-near-rated") if trusted else say("identify-load-load-by-amps-doubted-below")
    )
    return _by_formula(Method.AMPS, load, plate, reason, trusted)


def load_by_watts(running: Running, plate: PlateFacts, motor: TypicalMotor) -> LoadByMethod:
    """Shaft power that, with the losses of a typical motor of this plate, takes the watts read.

    Validity: a true wattmeter at the motor; warm motor. Source: input–output with the loss split of
    ``physics.induction.input_power_w``; typical efficiency our judgement, no source.
    """
    missing = _missing(("watts", running.input_power), (say("term-rated-power"), plate.rated_power_w))
    if missing:
        return _void(Method.WATTS, say("term-not-worked-out"), missing)
    assert running.input_power and plate.rated_power_w
    rated = plate.rated_power_w
    (power,) = propagate(
        lambda watts, efficiency, fixed: shaft_power_from_input_w(watts, rated, efficiency, fixed),
        running.input_power,
        motor.rated_efficiency,
        motor.fixed_share,
    )
    if power.value <= 0:
        return _void(Method.WATTS, say("identify-load-load-by-watts-withheld-watts"))
    power = _no_narrower(power, plate)
    reason = say("identify-load-load-by-watts-true-wattmeter")
    if not running.full_tap:
        power = power.with_contribution("losses off the high tap", LOW_TAP_SHARE * power.value)
        reason = say("identify-load-load-by-watts-off-high")
    load, uncertainty = power.value / rated, power.uncertainty / rated
    low, high = load - uncertainty, load + uncertainty
    errors = _errors(plate, Method.WATTS, load)
    if errors and errors.high > WIDE_ERRORS:
        reason = joined("", (reason, say("identify-load-load-by-watts-load-losses")))
    if errors:
        low, high = min(low, load / errors.high), max(high, load / errors.low)
        half = max(load - low, high - load) / COVERAGE_95 * rated
        power = power.with_contribution("losses at part load", max(half**2 - power.standard**2, 0.0) ** 0.5)
    return LoadByMethod(Method.WATTS, load, power, max(low, 0.0), high, True, reason)


def best_of(methods: tuple[LoadByMethod, ...]) -> LoadByMethod | None:
    """The method to believe: watts when there are any, unless another trusted one is clearly narrower here.

    They share meters and the motor model, so averaging them would claim more than they know.
    """
    usable = [method for method in methods if method.trusted and method.shaft_power is not None]
    narrowest = min(usable, key=_relative_width, default=None)
    watts = next((method for method in usable if method.method is Method.WATTS), None)
    if watts and narrowest and _relative_width(narrowest) > CLEARLY_NARROWER * _relative_width(watts):
        return watts
    return narrowest


def disagreement(chosen: LoadByMethod, methods: tuple[LoadByMethod, ...]) -> tuple[LoadByMethod, ...]:
    """The trusted methods whose 95 % range does not touch that of the chosen one."""
    assert chosen.low is not None and chosen.high is not None
    return tuple(
        other
        for other in methods
        if other.trusted
        and other.low is not None
        and other.high is not None
        and (other.low > chosen.high or other.high < chosen.low)
    )


def widened(chosen: LoadByMethod, disagreeing: tuple[LoadByMethod, ...]) -> Estimate:
    """The chosen shaft power, its uncertainty opened by half the way to the farthest method that disagrees.

    :returns: W. Source: our judgement: half the way covers the truth where two methods contradict each other.
    """
    assert chosen.shaft_power is not None
    if not disagreeing:
        return chosen.shaft_power
    gap = max(abs(other.shaft_power.value - chosen.shaft_power.value) for other in disagreeing if other.shaft_power)
    return chosen.shaft_power.with_contribution("methods disagree", gap / 2)


@dataclass(frozen=True)
class _Errors:
    """Formula over truth: the median, and the ends that hold 95 %."""

    median: float
    low: float
    high: float


def _errors(plate: PlateFacts, method: Method, load: float) -> _Errors | None:
    """How far a formula's result may be from the truth; nothing where the table has no row for it."""
    kind = "three-phase" if plate.kind is MotorKind.THREE_PHASE else "single-phase"
    for row in read_table("load_method_errors"):
        if (row["motor"], row["method"]) == (kind, method) and float(row["load_from"]) <= load < float(row["load_to"]):
            return _Errors(*(1 + float(row[column]) / 100 for column in ("median", "low", "high")))
    return None


def _by_formula(method: Method, load: float, plate: PlateFacts, reason: str, trusted: bool) -> LoadByMethod:
    errors = _errors(plate, method, load)
    if errors is None:
        return _void(method, say("identify-load-by-formula-withheld-formula", load=Number(100 * load, ",.0f")))
    centre, bottom, top = load / errors.median, load / errors.high, load / errors.low
    if plate.rated_power_w is None:
        return LoadByMethod(method, load, None, bottom, top, trusted, reason, (say("term-rated-power"),))
    half = max(centre - bottom, top - centre) / COVERAGE_95
    power = measured(centre * plate.rated_power_w, **{f"load by {method}": half * plate.rated_power_w})
    return LoadByMethod(method, load, power, bottom, top, trusted, reason)


def _no_narrower(power: Estimate, plate: PlateFacts) -> Estimate:
    assert plate.kind is not None and plate.rated_power_w is not None
    floor = max(BEST_UNFITTED_SHARE[plate.kind] * power.value, LOW_LOAD_SHARE * plate.rated_power_w)
    lacking = floor**2 - power.standard**2
    return power.with_contribution("formula on real motors", lacking**0.5) if lacking > 0 else power


def _volts_ratio(running: Running, plate: PlateFacts) -> float:
    if running.voltage is None or not plate.rated_voltage_v:
        return 1.0
    return running.voltage.value / plate.rated_voltage_v


def _relative_width(method: LoadByMethod) -> float:
    assert method.shaft_power is not None
    return method.shaft_power.standard / max(method.shaft_power.value, 1e-9)


def _missing(*pairs: tuple[str, object]) -> tuple[str, ...]:
    return tuple(name for name, value in pairs if value is None)


def _void(method: Method, reason: str, missing: tuple[str, ...] = ()) -> LoadByMethod:
    return LoadByMethod(method, None, None, None, None, False, reason, missing)


def guarded(method: Method, work: Callable[[], LoadByMethod]) -> LoadByMethod:
    """A method's result, or its refusal told as the reason why it is withheld."""
    try:
        return work()
    except OutsideValidity as refusal:
        return _void(method, say("identify-load-guarded", refusal=refusal.sentence))
