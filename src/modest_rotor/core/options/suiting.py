"""Which products of the catalogue can stand for a kind of option."""

from __future__ import annotations

from collections.abc import Callable

from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.options.contract import OptionKind
from modest_rotor.core.stations.product import CommandKind, Product, ProductType

Suits = Callable[[Product], bool]


def suits(kind: OptionKind, product: Product) -> bool:
    """Whether a product can stand for a kind; what its entry does not say is no reason against it. Source: definition of the kinds."""
    asked = SUITS.get(kind)
    return asked is not None and asked(product)


def _electronic(holds: str | None = None, command: CommandKind | None = None) -> Suits:
    """An electronic motor, or the module of one: of what it holds, and of what tells it, where either is said."""

    def found(product: Product) -> bool:
        return (
            product.type in (ProductType.MOTOR, ProductType.MODULE)
            and product.motor_kind in (None, MotorKind.ELECTRONIC)
            and (holds is None or product.holds in (None, holds))
            and (command is None or product.command in (None, command))
        )

    return found


def _of_type(*types: ProductType) -> Suits:
    return lambda product: product.type in types


def _line_motor(product: Product) -> bool:
    return product.type is ProductType.MOTOR and product.motor_kind is not MotorKind.ELECTRONIC


def _on_a_drive(product: Product) -> bool:
    three_phase = product.type is ProductType.MOTOR and product.motor_kind is MotorKind.THREE_PHASE
    return product.type is ProductType.DRIVE or three_phase


SUITS: dict[OptionKind, Suits] = {
    OptionKind.SAME_KIND: _line_motor,
    OptionKind.TORQUE: _electronic("torque"),
    OptionKind.AIRFLOW: _electronic("airflow"),
    OptionKind.ELECTRONIC: _electronic("speed"),
    OptionKind.SLOWED: _electronic("speed"),
    OptionKind.ONE_SPEED: _electronic(command=CommandKind.SWITCHED_LINE),
    OptionKind.EC_FAN: _of_type(ProductType.FAN),
    OptionKind.DRIVE: _on_a_drive,
    OptionKind.CAPACITOR_DRIVE: _of_type(ProductType.DRIVE),
    OptionKind.REGULATOR: _of_type(ProductType.REGULATOR),
    OptionKind.CIRCULATOR_SPEED: _of_type(ProductType.PUMP),
    OptionKind.CIRCULATOR_CONSTANT: _of_type(ProductType.PUMP),
    OptionKind.CIRCULATOR_PROPORTIONAL: _of_type(ProductType.PUMP),
}
"""Kinds that stand for no product are not among them: another tap, fewer fans, a sheave, a trim, a throttle taken out."""
