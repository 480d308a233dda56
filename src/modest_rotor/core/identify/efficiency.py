"""What efficiency a motor of this plate is likely to have."""

from __future__ import annotations

import math
from dataclasses import dataclass

from modest_rotor.core.errors import BeyondTables, OutsideValidity
from modest_rotor.core.estimate import Estimate, measured
from modest_rotor.core.identify.motor import MotorKind, PlateFacts
from modest_rotor.core.quantities import in_both_units
from modest_rotor.core.say import Number, say
from modest_rotor.core.tables import find_row

EFFICIENCY_REFERENCE_W = 373.0
PLATE_ROUNDING = 0.03
"""How much lower than the plate's volts × amps bound an efficiency may still lie: plates are rounded. Our judgement, no source."""
HIGHEST_EFFICIENCY = 0.95
SMALLEST_SPREAD = 0.01
OVER_PRINTED, PRINTED_SPREAD = 1.05, 0.10
"""Losses expected over those of a printed efficiency, and the standard deviation of their logarithm. NEMA MG 1, 12.58 and
IEC 60034-1 (15 %), from memory; the middle our judgement."""


@dataclass(frozen=True)
class TypicalMotor:
    """Efficiency at rated load and the share of the rated losses that does not depend on load, both with their uncertainties."""

    rated_efficiency: Estimate
    fixed_share: Estimate
    bound: float | None


def typical_motor(facts: PlateFacts, whose: str) -> TypicalMotor:
    """The likely full-load efficiency of a motor, from its kind and rated power, held above what its own plate forbids.

    A motor cannot take more watts than volts × amps (× √3 with three phases), so its efficiency at rated load is at
    least rated power over that product. The typical scatter, a normal distribution, is cut off below that bound.

    :param facts: the plate; kind and rated power are needed.
    :param whose: names the error source, for example “this motor” or “a new motor”.
    :raises OutsideValidity: a rated power outside the range of the typical formula, or a plate that denies itself.

    Source: typical efficiencies our judgement, no source; mean and deviation of a truncated normal distribution from
    Johnson, Kotz and Balakrishnan, Continuous Univariate Distributions, vol. 1, ch. 13.
    """
    assert facts.kind is not None and facts.rated_power_w is not None
    row = find_row("typical_motors", motor=facts.kind)
    low, high = float(row["power_from"]), float(row["power_to"])
    if not low <= facts.rated_power_w <= high:
        raise BeyondTables(
            say(
                "efficiency-typical-motor",
                kind=facts.kind,
                in_both_units=in_both_units(low, "rated_power"),
                in_both_units_2=in_both_units(high, "rated_power"),
            )
        )
    mean = typical_efficiency(facts)
    bound = plate_efficiency_bound(facts)
    mean, spread = _cut_below(mean, mean * (1 - mean) * losses_spread(facts), bound)
    return TypicalMotor(
        rated_efficiency=measured(mean, **{f"efficiency of {whose}": spread}),
        fixed_share=measured(float(row["fixed_share"]), **{f"loss split of {whose}": float(row["fixed_share_sd"])}),
        bound=bound,
    )


def typical_efficiency(facts: PlateFacts) -> float:
    """Full-load efficiency that is expected of a plate, a fraction: the printed one, or what is typical of its kind and power.

    :param facts: kind and rated power are needed.

    A printed nominal efficiency is an average that one motor may miss by a fifth of its losses (NEMA MG 1, 12.58), so a little
    more is expected than it prints. Source: table typical_motors.
    """
    assert facts.kind is not None and facts.rated_power_w is not None
    if facts.printed_efficiency:
        return 1 / (1 + OVER_PRINTED * (1 / facts.printed_efficiency - 1))
    row = find_row("typical_motors", motor=facts.kind)
    larger = float(facts.rated_power_w / EFFICIENCY_REFERENCE_W)
    return 1 / (1 + float(row["losses_at_373_w"]) * math.pow(larger, -float(row["falls"])))


def losses_spread(facts: PlateFacts) -> float:
    """Standard deviation of the logarithm of the losses at rating about those expected. Source as :func:`typical_efficiency`."""
    if facts.printed_efficiency:
        return PRINTED_SPREAD
    return float(find_row("typical_motors", motor=str(facts.kind))["losses_sd"])


def plate_efficiency_bound(facts: PlateFacts) -> float | None:
    """Lowest full-load efficiency that the plate's own volts and amps allow, less an allowance for rounding.

    :raises OutsideValidity: when the plate promises more shaft power than its volt-amperes could feed.

    Source: definition of apparent power.
    """
    if facts.rated_voltage_v is None or facts.rated_current_a is None or facts.rated_power_w is None:
        return None
    apparent = (
        facts.rated_voltage_v * facts.rated_current_a * (math.sqrt(3) if facts.kind is MotorKind.THREE_PHASE else 1)
    )
    bound = facts.rated_power_w / apparent - PLATE_ROUNDING
    if bound >= HIGHEST_EFFICIENCY:
        raise OutsideValidity(
            say(
                "efficiency-plate-efficiency-bound",
                apparent=Number(apparent, ",.0f"),
                in_both_units=in_both_units(facts.rated_power_w, "rated_power"),
            )
        )
    return bound


def _cut_below(mean: float, spread: float, bound: float | None) -> tuple[float, float]:
    if bound is None:
        return mean, spread
    cut = (bound - mean) / spread
    above = 0.5 * math.erfc(cut / math.sqrt(2))
    if above < 1e-6:  # the plate contradicts what is typical; its bound is all that is known
        return min(bound + spread / 2, HIGHEST_EFFICIENCY), spread
    ratio = math.exp(-(cut**2) / 2) / math.sqrt(2 * math.pi) / above
    variance = spread**2 * (1 + cut * ratio - ratio**2)
    return min(mean + spread * ratio, HIGHEST_EFFICIENCY), max(math.sqrt(max(variance, 0.0)), SMALLEST_SPREAD)
