"""The catalogue's rules: what a complete entry says, and what no entry can say."""

from __future__ import annotations

import math
from typing import Literal

from pydantic import Field

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.phrase import Frozen
from modest_rotor.core.physics.induction import poles_from_rated_speed
from modest_rotor.core.quantities import in_both_units
from modest_rotor.core.say import Number, joined, say
from modest_rotor.core.stations.product import BEST_EFFICIENCY, Product, ProductType, is_possible_efficiency

CATALOGUE_FORMAT: Literal["modest-rotor catalogue"] = "modest-rotor catalogue"
MOST_PRODUCTS = 2000
PLATE_ROUNDING = 0.03
MOTOR_NEEDS = ("motor_kind", "rated_power", "rated_voltage", "phases", "rated_speed", "rated_current", "price")
NEEDS: dict[ProductType, tuple[str, ...]] = {
    ProductType.MOTOR: MOTOR_NEEDS,
    ProductType.MODULE: ("rated_power", "rated_voltage", "phases", "command", "price"),
    ProductType.DRIVE: ("rated_power", "rated_voltage", "phases", "rated_current", "price"),
    ProductType.REGULATOR: ("rated_voltage", "rated_current", "price"),
    ProductType.FAN: ("rated_power", "rated_voltage", "phases", "rated_speed", "curve", "curve_speed", "price"),
    ProductType.PUMP: ("rated_power", "rated_voltage", "phases", "rated_speed", "curve", "curve_speed", "price"),
}
"""What a complete entry of a type says at the least."""


class CatalogueFile(Frozen):
    """The open format in which a catalogue goes out and in."""

    format: Literal["modest-rotor catalogue"] = CATALOGUE_FORMAT
    version: Literal[1] = 1
    products: tuple[Product, ...] = Field(default=(), max_length=MOST_PRODUCTS)


def refusals(product: Product) -> tuple[str, ...]:
    """Everything that keeps an entry out of the catalogue, each as a sentence; none for a sound one."""
    lacking = [
        str(Product.model_fields[name].title).lower() for name in NEEDS[product.type] if not getattr(product, name)
    ]
    words = [say("core-catalogue-refusals", lacking=joined(", ", lacking))] if lacking else []
    return (*words, *_efficiencies(product), *_plate(product), *_curve(product))


def _efficiencies(product: Product) -> tuple[str, ...]:
    found = []
    nominal, least = product.nominal_efficiency, product.least_efficiency
    for entry, name in ((nominal, "nominal"), (least, "guaranteed")):
        if entry is not None and not is_possible_efficiency(entry.si):
            found.append(
                say("core-catalogue-efficiencies-efficiency-impossible", name=name, entry=Number(100 * entry.si, ".1f"))
            )
    if nominal and least and least.si > nominal.si:
        found.append(
            say(
                "core-catalogue-efficiencies-guarantees-more",
                least=Number(100 * least.si, ".1f"),
                nominal=Number(100 * nominal.si, ".1f"),
            )
        )
    return tuple(found)


def _plate(product: Product) -> tuple[str, ...]:
    """Power against volts and amps, and speed against hertz."""
    found = []
    power, volts, amps = product.rated_power, product.rated_voltage, product.rated_current
    if product.type is ProductType.MOTOR and power and volts and amps:
        apparent = volts.si * amps.si * (math.sqrt(3) if product.phases == 3 else 1.0)
        best = product.promised_efficiency or BEST_EFFICIENCY
        if power.si > apparent * (best + PLATE_ROUNDING):
            found.append(
                say(
                    "core-catalogue-plate",
                    in_both_units=in_both_units(power.si, "rated_power"),
                    apparent=Number(apparent, ",.0f"),
                )
            )
    kind, speed, hertz = product.motor_kind, product.rated_speed, product.frequency
    if kind not in (None, MotorKind.ELECTRONIC) and speed and hertz and product.type is ProductType.MOTOR:
        try:
            poles_from_rated_speed(speed.si, hertz.si)
        except OutsideValidity as refusal:
            found.append(refusal.sentence)
    return tuple(found)


def _curve(product: Product) -> tuple[str, ...]:
    """A curve's rows: flows that grow, and never more air power than shaft power."""
    last = -1.0
    for row, point in enumerate(product.curve, 1):
        flow, pressure, power = point.airflow or point.water_flow, point.pressure or point.head, point.shaft_power
        if flow is None or pressure is None or power is None:
            return (say("core-catalogue-curve-row-curve", row=row),)
        if flow.si <= last:
            return (say("core-catalogue-curve-row-curve-does", row=row),)
        if flow.si * pressure.si >= power.si:
            return (say("core-catalogue-curve-row-curve-gives", row=row),)
        last = flow.si
    return ()
