"""The rating of what would be fitted: its product's where there is one, or else that of the plate in the machine."""

from __future__ import annotations

from dataclasses import dataclass
from functools import lru_cache

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import Estimate, exactly, measured
from modest_rotor.core.identify.candidate import at_rated
from modest_rotor.core.identify.fit import FittedMotor, fit_motor
from modest_rotor.core.identify.motor import MotorKind, PlateFacts
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.physics import electronic
from modest_rotor.core.physics.drive import TRUE_POWER_FACTOR, Rectifier
from modest_rotor.core.standards.motors import minimum_efficiency
from modest_rotor.core.stations.options import Considered
from modest_rotor.core.stations.product import Product

LOSS_SCATTER = measured(1.0, **{"losses of electronic motors": 0.20})
"""How far the losses of real electronic motors scatter about the typical formula. Our judgement, no source."""
PROMISED_SPREAD = 0.07
"""Standard deviation of the losses about those that a data sheet stands for, as a share. Our judgement, no source."""
POWER_FACTOR_SPREAD = 0.06
THREE = 3


@dataclass(frozen=True)
class Rating:
    """An electronic motor's rating: W at the shaft, rpm, scale of its losses, true power factor, volts, standby W, phases."""

    power_w: float
    speed_rpm: float
    losses: Estimate
    power_factor: Estimate
    voltage_v: float
    standby_w: float
    phases: int = 1
    top_share: float = electronic.SPEED_LIMIT_SHARE

    @property
    def volts_per_amp(self) -> float:
        """Volt-amperes of the supply for each line amp."""
        return self.voltage_v * (3**0.5 if self.phases == THREE else 1.0)

    @property
    def torque_scale(self) -> float:
        """Rated power over rated speed, W/rpm."""
        return self.power_w / self.speed_rpm


def electronic_rating(found: FoundMachine, considered: Considered) -> Rating:
    """The rating of an electronic motor: its product's, or a typical one of the plate's power and speed."""
    product = considered.product
    plate = found.plate
    power = _si(product, "rated_power") or plate.rated_power_w or found.shaft_power.value
    speed = _si(product, "rated_speed") or plate.rated_speed_rpm or found.speed.value
    phases = (product.phases if product else None) or (THREE if plate.kind is MotorKind.THREE_PHASE else 1)
    plain = electronic.POWER_FACTOR_PLAIN if phases == 1 else TRUE_POWER_FACTOR[Rectifier.THREE_PHASE]
    factor = _si(product, "power_factor") or plain
    standby = _si(product, "standby")
    volts = found.volts.value or plate.rated_voltage_v or _si(product, "rated_voltage") or 230.0
    return Rating(
        power,
        speed,
        _losses(product, power),
        measured(factor, **{"power factor of electronic motors": POWER_FACTOR_SPREAD * factor}),
        volts,
        electronic.STANDBY_W if standby is None else standby,
        phases,
    )


def _losses(product: Product | None, power_w: float) -> Estimate:
    """Scale of the typical losses; where a data sheet states an efficiency, that which makes its losses at rated load."""
    promised = product.promised_efficiency if product else None
    if not promised:
        return LOSS_SCATTER
    shares = electronic.COPPER_LOSS_SHARE + electronic.SPEED_LOSS_SHARE
    scale = power_w * (1 / promised - 1) / (electronic.STANDBY_W + shares * power_w)
    return measured(scale, **{"losses against the data sheet": PROMISED_SPREAD * scale})


def _si(product: Product | None, field: str) -> float | None:
    entry = getattr(product, field) if product else None
    return entry.si if entry else None


def product_motor(considered: Considered, kind: MotorKind) -> FittedMotor | str | None:
    """The induction motor of a product, fitted to its data sheet; nothing where no product, or one of another kind, is named.

    A sentence where the data sheet does not make a motor.
    """
    product = considered.product
    if product is None or product.motor_kind is not kind:
        return None
    facts = product_facts(product, kind)
    return facts if isinstance(facts, str) else _fit(facts)


def product_facts(product: Product, kind: MotorKind) -> PlateFacts | str:
    """The plate of a catalogue's motor, or what its data sheet lacks for it. Source: definition."""
    power, volts, amps = product.rated_power, product.rated_voltage, product.rated_current
    speed, hertz, farads = product.rated_speed, product.frequency, product.run_capacitance
    if not (power and volts and speed and hertz):
        return f"waits for power, volts, speed and hertz of {product.name}"
    try:
        return PlateFacts.of(
            kind, power.si, volts.si, amps.si if amps else None, speed.si, hertz.si, farads.si if farads else None
        )
    except OutsideValidity as refusal:
        return f"{product.name}: {refusal.sentence}"


@lru_cache(maxsize=128)
def _fit(facts: PlateFacts) -> FittedMotor | str:
    """A product's motor; a pure function of its data sheet, kept because many jobs ask for the same."""
    try:
        return fit_motor(facts)
    except OutsideValidity as refusal:
        return refusal.sentence


def promised_losses(considered: Considered, motor: FittedMotor) -> Estimate:
    """Losses that a data sheet stands for over those of the fitted motor at rated load; 1 where it states none."""
    product = considered.product
    if product is None or product.impossible_efficiency or not product.promised_efficiency:
        return exactly(1.0)
    least = product.least_efficiency.si if product.least_efficiency else None
    nominal = product.nominal_efficiency.si if product.nominal_efficiency else None
    promised = least or _guaranteed(nominal or 0.0)
    at = motor.motor.at_slip(at_rated(motor.plate), float(motor.family.true_rated_slip(motor.numbers)))
    scale = (1 / promised - 1) / float(at.input_power_w / at.shaft_power_w - 1)
    return measured(scale, **{"losses against the data sheet": PROMISED_SPREAD * scale})


def _guaranteed(nominal: float) -> float:
    """The guaranteed minimum of a nominal efficiency, where the table has it; else the nominal one."""
    try:
        return minimum_efficiency(nominal)
    except OutsideValidity:
        return nominal
