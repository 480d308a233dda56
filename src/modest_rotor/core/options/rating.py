"""The rating of what would be fitted: its product's where there is one, or else that of the plate in the machine."""

from __future__ import annotations

from dataclasses import dataclass
from functools import lru_cache

import numpy as np

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import Array, Estimate, exactly, measured
from modest_rotor.core.identify.candidate import at_rated
from modest_rotor.core.identify.fit import FittedMotor, fit_motor
from modest_rotor.core.identify.motor import MotorKind, PlateFacts
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.outcome import Absent, Waiting, Withheld
from modest_rotor.core.physics import electronic
from modest_rotor.core.physics.drive import TRUE_POWER_FACTOR, Rectifier
from modest_rotor.core.physics.electronic import RatedLosses, rated_losses
from modest_rotor.core.say import say
from modest_rotor.core.stations.options import Candidate
from modest_rotor.core.stations.product import Product

LOSSES, BELOW_RATING = say("rating-these-losses-electronic"), say("rating-these-losses-electronic-motors")
PROMISED_SPREAD = 0.09
"""Standard deviation of the logarithm of the losses about those of a data sheet. Our judgement, no source; IEC 60034-1 allows
losses 15 % over the print."""
PROMISED_BELOW = 0.25
"""The same far below rated torque, where few sheets print anything: the shares of the losses are not stated."""
POWER_FACTOR_SPREAD = 0.06
THREE = 3


@dataclass(frozen=True)
class Rating:
    """An electronic motor's rating: W at the shaft, rpm, losses, true power factor, volts, standby W, phases.

    :param losses: at rating, by what they grow with.
    :param scatter: logarithm by which real losses stray from these. :param below: the same far below rated torque.
    """

    power_w: float
    speed_rpm: float
    losses: RatedLosses
    scatter: Estimate
    below: Estimate
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
    def efficiency(self) -> float:
        """From the line to the shaft at rating, a fraction."""
        return float(self.power_w / (self.power_w + self.losses.whole))

    @property
    def loss_inputs(self) -> tuple[Estimate, Estimate, Estimate]:
        """What its watts and amps depend on beside the load, in the order in which :meth:`watts` takes them."""
        return self.scatter, self.below, self.power_factor

    def watts(self, shaft_w: Array, rpm: Array, scatter: Array, below: Array) -> Array:
        """Watts at the line at a shaft power, W, and speed, rpm.

        :param scatter: logarithm of its losses over those at rating. :param below: the same far below rated torque.

        Shapes as broadcast. Validity and source: :meth:`RatedLosses.at`.
        """
        speed = rpm / self.speed_rpm
        return np.asarray(shaft_w + self.losses.at(shaft_w / (self.power_w * speed), speed, np.exp(scatter), below))

    @property
    def torque_scale(self) -> float:
        """Rated power over rated speed, W/rpm."""
        return self.power_w / self.speed_rpm


def electronic_rating(found: FoundMachine, candidate: Candidate) -> Rating:
    """The rating of an electronic motor: its product's, or a typical one of the plate's power and speed.

    :param found: the machine; W, rpm, V of its plate, or as found where it has none. :param candidate: whose product's sheet comes first.

    Source: the sheet; else table electronic_motors, by class IE4 of IEC 60034-30-1.
    """
    product = candidate.product
    plate = found.plate
    power = _si(product, "rated_power") or plate.rated_power_w or found.shaft_power.value
    speed = _si(product, "rated_speed") or plate.rated_speed_rpm or found.speed.value
    phases = (product.phases if product else None) or (THREE if plate.kind is MotorKind.THREE_PHASE else 1)
    plain = electronic.POWER_FACTOR_PLAIN if phases == 1 else TRUE_POWER_FACTOR[Rectifier.THREE_PHASE]
    factor = _si(product, "power_factor") or plain
    standby = _si(product, "standby")
    volts = found.volts.value or plate.rated_voltage_v or _si(product, "rated_voltage") or 230.0
    losses, scatter = _losses(product, power, phases)
    return Rating(
        power,
        speed,
        losses,
        scatter,
        measured(0.0, **{BELOW_RATING: PROMISED_BELOW if product else electronic.SPREAD_BELOW_RATING}),
        measured(factor, **{"power factor of electronic motors": POWER_FACTOR_SPREAD * factor}),
        volts,
        float(electronic.typical_standby_w(power)) if standby is None else standby,
        phases,
    )


def _losses(product: Product | None, power_w: float, phases: int) -> tuple[RatedLosses, Estimate]:
    """Losses at rating and the logarithm by which they may stray: of a data sheet where it states an efficiency, else typical."""
    promised = product.expected_efficiency if product else None
    if promised:
        return rated_losses(power_w, promised, phases), measured(
            0.0, **{"losses against the data sheet": PROMISED_SPREAD}
        )
    return rated_losses(power_w, None, phases), measured(0.0, **{LOSSES: electronic.SPREAD_AT_RATING})


def _si(product: Product | None, field: str) -> float | None:
    entry = getattr(product, field) if product else None
    return entry.si if entry else None


def product_motor(candidate: Candidate, kind: MotorKind, volts: float | None) -> FittedMotor | Absent | None:
    """The induction motor of a product, fitted to its data sheet; nothing where no product, or one of another kind, is named.

    :param volts: measured at the machine, which choose the link of a dual-voltage product.

    A sentence where the data sheet does not make a motor.

    :param candidate: whose product is meant. :param kind: of motor that is asked for. Source: the fit is :mod:`identify`.
    """
    product = candidate.product
    if product is None or product.motor_kind is not kind:
        return None
    facts = product_facts(product, kind, volts)
    return facts if isinstance(facts, Absent) else _fit(facts)


def product_facts(product: Product, kind: MotorKind, volts: float | None = None) -> PlateFacts | Absent:
    """The plate of a catalogue's motor as it is linked, or what its data sheet lacks for it.

    :param volts: measured at the machine; the first link where none were. Source: definition.
    """
    power, link = product.rated_power, product.link(volts)
    speed, hertz, farads = product.rated_speed, product.frequency, product.run_capacitance
    if not (power and link and speed and hertz):
        return Waiting(say("rating-product-facts", product=product.name))
    try:
        return PlateFacts.of(
            kind, power.si, link.volts_v, link.amps_a, speed.si, hertz.si, farads.si if farads else None
        )
    except OutsideValidity as refusal:
        return Withheld(f"{product.name}: {refusal.sentence}")


@lru_cache(maxsize=128)
def _fit(facts: PlateFacts) -> FittedMotor | Absent:
    """A product's motor; a pure function of its data sheet, kept because many jobs ask for the same."""
    try:
        return fit_motor(facts)
    except OutsideValidity as refusal:
        return Withheld(refusal.sentence)


def promised_losses(candidate: Candidate, motor: FittedMotor) -> Estimate:
    """Losses that a data sheet stands for over those of the fitted motor at rated load; 1 where it states none.

    :param candidate: whose product's efficiency is meant, a fraction. :param motor: fitted to its plate. Source: definition; spread our judgement.
    """
    product = candidate.product
    expected = product.expected_efficiency if product and not product.impossible_efficiency else None
    if expected is None:
        return exactly(1.0)
    at = motor.motor.at_slip(at_rated(motor.plate), float(motor.family.true_rated_slip(motor.numbers)))
    scale = (1 / expected - 1) / float(at.input_power_w / at.shaft_power_w - 1)
    return measured(scale, **{"losses against the data sheet": PROMISED_SPREAD * scale})
