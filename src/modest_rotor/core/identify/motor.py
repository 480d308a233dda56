"""The motor as its plate tells it, in SI."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum


class MotorKind(StrEnum):
    """The kinds that a plate alone tells apart."""

    SPLIT_CAPACITOR = "split-capacitor"
    SINGLE_PHASE = "single-phase"
    THREE_PHASE = "three-phase"


@dataclass(frozen=True)
class PlateFacts:
    """The plate's numbers in SI, as far as it has them; what later stations compute with."""

    kind: MotorKind | None
    rated_power_w: float | None
    rated_voltage_v: float | None
    rated_current_a: float | None
    rated_speed_rpm: float | None
    frequency_hz: float | None
    poles: int | None
    synchronous_speed_rpm: float | None
    rated_slip: float | None
    rated_torque_nm: float | None
    speed_refusal: str | None = None
