"""CoolProp, which takes seconds to come in: only where a test asks it something."""

from __future__ import annotations

from collections.abc import Callable
from importlib import import_module


def of_water(*asked: object) -> float:
    """A property of a pure fluid, by IAPWS-95 for water; arguments as ``CoolProp.CoolProp.PropsSI``."""
    ask: Callable[..., float] = import_module("CoolProp.CoolProp").PropsSI
    return ask(*asked)


def of_moist_air(*asked: object) -> float:
    """A property of moist air as real gases; arguments as ``CoolProp.HumidAirProp.HAPropsSI``."""
    ask: Callable[..., float] = import_module("CoolProp.HumidAirProp").HAPropsSI
    return ask(*asked)
