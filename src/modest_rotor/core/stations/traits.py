"""What a drive or an electronic fan can and cannot do: its traits, as its profile says them and a job keeps them."""

from __future__ import annotations

from pydantic import Field, model_validator

from modest_rotor.core.phrase import Frozen
from modest_rotor.core.say import say


class SignalTraits(Frozen):
    """How a command in volts becomes a share of full speed: a straight line, with a dead band below."""

    zero_at_v: float = Field(default=0.0, ge=0, le=24, description="volts at which the straight line stands at nought")
    full_at_v: float = Field(default=10.0, gt=0, le=24, description="volts of full speed")
    off_below_v: float = Field(default=0.0, ge=0, le=24, description="volts below which it stands still")

    @model_validator(mode="after")
    def _in_order(self) -> SignalTraits:
        if not self.zero_at_v < self.full_at_v or self.off_below_v >= self.full_at_v:
            raise ValueError(say("traits-signal-order"))
        return self


class DriveTraits(Frozen):
    """What a drive can be told of frequencies."""

    most_bands: int = Field(default=3, ge=0, le=16, description="bands that it can skip")
    widest_band_hz: float = Field(default=60.0, gt=0, le=400, description="widest band that it can skip, Hz")
    skips_ends: bool = Field(default=False, description="whether a band may touch its lowest or highest frequency")
    floor_hz: float = Field(default=0.0, ge=0, le=100, description="lowest frequency that it runs at all, Hz")
    top_hz: float = Field(default=60.0, gt=0, le=400, description="highest frequency that it gives, Hz")
    start_up_s: float = Field(default=0.0, ge=0, le=600, description="seconds of its own start-up run")
    start_up_hz: float = Field(default=0.0, ge=0, le=400, description="hertz of that run")

    @model_validator(mode="after")
    def _in_order(self) -> DriveTraits:
        if self.floor_hz >= self.top_hz:
            raise ValueError(say("traits-floor-order"))
        return self


class Traits(Frozen):
    """The traits of one device; only the part of its own kind is given."""

    drive: DriveTraits | None = None
    signal: SignalTraits | None = None
