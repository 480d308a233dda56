"""Registers to values and back: type, scale, unit and word order as a profile says them."""

from __future__ import annotations

import math
from typing import Any

from pymodbus.client.mixin import ModbusClientMixin

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.say import Number, say
from modest_rotor.fieldbus.profile import RANGES, DeviceProfile, Register

ORDERS: dict[str, Any] = {"high first": "big", "low first": "little"}
NEAR = 1e-9


def value_of(profile: DeviceProfile, register: Register, words: list[int]) -> float:
    """The value that registers hold, in SI.

    :raises OutsideValidity: no number, or one outside what the profile believes.
    """
    kind = getattr(ModbusClientMixin.DATATYPE, register.type.upper())
    raw = ModbusClientMixin.convert_from_registers(words, kind, ORDERS[profile.word_order])
    value = float(raw) * register.scale + register.offset  # type: ignore[arg-type]
    low, high = _limits(register)
    if not math.isfinite(value) or not low <= value <= high:
        said = f"{value:,.6g} {register.unit}".strip()
        raise OutsideValidity(
            say("codec-value-of", role=register.role, said=said, low=Number(low, ",.6g"), high=Number(high, ",.6g"))
        )
    return register.to_si(value)


def words_of(profile: DeviceProfile, register: Register, value_si: float) -> list[int]:
    """The registers that say a value.

    :param value_si: in SI. :raises OutsideValidity: outside what may be written, or cannot be told in the register.
    """
    value = register.from_si(value_si)
    low, high = _limits(register)
    if not math.isfinite(value) or not low - NEAR <= value <= high + NEAR:
        raise OutsideValidity(
            say(
                "codec-words-of",
                role=register.role,
                low=Number(low, ",.6g"),
                high=Number(high, ",.6g"),
                unit=register.unit,
                value=Number(value, ",.6g"),
            )
        )
    raw = (value - register.offset) / register.scale
    kind = getattr(ModbusClientMixin.DATATYPE, register.type.upper())
    counted = raw if register.type == "float32" else round(raw)
    if register.type in RANGES:
        least, most = RANGES[register.type]
        counted = min(max(counted, least), most)
    return ModbusClientMixin.convert_to_registers(counted, kind, ORDERS[profile.word_order])


def resolution_of(register: Register) -> float:
    """The step in which a register tells its value, in SI."""
    if register.type == "float32":
        return 0.0
    return abs(register.to_si(register.scale) - register.to_si(0.0))


def _limits(register: Register) -> tuple[float, float]:
    low = -math.inf if register.low is None else register.low
    high = math.inf if register.high is None else register.high
    return low, high
