"""Every kind of option, by its kind: one line for each file."""

from __future__ import annotations

from modest_rotor.core.options.capacitor_drive import CapacitorDrive
from modest_rotor.core.options.contract import Option, OptionKind
from modest_rotor.core.options.drive import OnDrive
from modest_rotor.core.options.electronic import AirflowHeld, Electronic, FansSlowed
from modest_rotor.core.options.fewer_fans import FansStaged
from modest_rotor.core.options.fixed_speed import OneSpeed
from modest_rotor.core.options.keep import Keep
from modest_rotor.core.options.other_tap import OtherTap
from modest_rotor.core.options.own_wheel import (
    CirculatorConstant,
    CirculatorProportional,
    CirculatorSpeed,
    ExternalRotorFan,
)
from modest_rotor.core.options.regulator import Regulator
from modest_rotor.core.options.reluctance import Reluctance
from modest_rotor.core.options.same_kind import SameKind
from modest_rotor.core.options.throttle_out import ThrottleOut
from modest_rotor.core.options.torque_taps import TorqueTaps
from modest_rotor.core.options.traits import Traits
from modest_rotor.core.options.wheel_speed import ReSheaved, Trimmed

OPTIONS: tuple[Option, ...] = (
    Keep(),
    SameKind(),
    OtherTap(),
    Regulator(),
    CapacitorDrive(),
    TorqueTaps(),
    AirflowHeld(),
    Electronic(),
    OneSpeed(),
    ExternalRotorFan(),
    OnDrive(),
    Reluctance(),
    FansStaged(),
    FansSlowed(),
    ReSheaved(),
    Trimmed(),
    ThrottleOut(),
    CirculatorSpeed(),
    CirculatorConstant(),
    CirculatorProportional(),
)
BY_KIND: dict[OptionKind, Option] = {option.kind: option for option in OPTIONS}


def traits_of(kind: OptionKind) -> Traits:
    """What a kind is, its equations apart."""
    return BY_KIND[kind].traits
