"""A device profile: which register holds what, in which type and unit, and what the device can do. A file for each device."""

from __future__ import annotations

import json
from enum import StrEnum
from functools import cache
from importlib.resources import files
from typing import Any, Literal

from pydantic import Field, ValidationError, model_validator

from modest_rotor.core.coded import Coded
from modest_rotor.core.errors import Refusal
from modest_rotor.core.phrase import Frozen
from modest_rotor.core.quantities import Unit, quantity
from modest_rotor.core.say import Number, joined, say
from modest_rotor.core.stations.traits import Traits
from modest_rotor.core.unfit import first_reason

PROFILE_FORMAT: Literal["modest-rotor device"] = "modest-rotor device"
MOST_REGISTERS = 120
WORDS = {"uint16": 1, "int16": 1, "uint32": 2, "int32": 2, "float32": 2}
RANGES = {"uint16": (0, 65535), "int16": (-32768, 32767), "uint32": (0, 4294967295), "int32": (-2147483648, 2147483647)}


class ProfileRefused(Refusal):
    """A profile that overlaps, contradicts itself, or cannot be read."""


class DeviceKind(Coded):
    """What a device is."""

    DRIVE = "drive"
    FAN = "fan"
    METER = "meter"


class Role(StrEnum):
    """What a register means; the same in every profile."""

    IDENTITY = "identity"
    RUN = "run"
    FREQUENCY_COMMAND = "frequency_command"
    LOW_LIMIT = "low_limit"
    HIGH_LIMIT = "high_limit"
    SKIP_1_LOW = "skip_1_low"
    SKIP_1_HIGH = "skip_1_high"
    SKIP_2_LOW = "skip_2_low"
    SKIP_2_HIGH = "skip_2_high"
    SKIP_3_LOW = "skip_3_low"
    SKIP_3_HIGH = "skip_3_high"
    RAMP_UP = "ramp_up"
    RAMP_DOWN = "ramp_down"
    BASE_FREQUENCY = "base_frequency"
    BASE_VOLTAGE = "base_voltage"
    VOLTS_TRIM = "volts_trim"
    OVERLOAD_CURRENT = "overload_current"
    LOOP_ON = "loop_on"
    SET_POINT = "set_point"
    LOOP_RANGE = "loop_range"
    LOOP_GAIN = "loop_gain"
    LOOP_INTEGRAL = "loop_integral"
    FEEDBACK = "feedback"
    STATUS = "status"
    FAULT = "fault"
    OUTPUT_FREQUENCY = "output_frequency"
    OUTPUT_CURRENT = "output_current"
    OUTPUT_VOLTAGE = "output_voltage"
    LINK_VOLTAGE = "link_voltage"
    SIGNAL_INPUT = "signal_input"
    SPEED_COMMAND = "speed_command"
    WARNING = "warning"
    VOLTAGE = "voltage"
    CURRENT = "current"
    INPUT_POWER = "input_power"
    POWER_FACTOR = "power_factor"
    SPEED = "speed"
    SUPPLY_STATIC = "supply_static"
    RETURN_STATIC = "return_static"
    ENTERING = "entering"
    LEAVING = "leaving"
    AIRFLOW = "airflow"
    SOUND_LEVEL = "sound_level"
    NOISE = "noise"
    DROP_OUTS = "drop_outs"
    DRIFT = "drift"


QUANTITY_OF: dict[Role, str] = {
    Role.FREQUENCY_COMMAND: "output_frequency",
    Role.LOW_LIMIT: "output_frequency",
    Role.HIGH_LIMIT: "output_frequency",
    Role.SKIP_1_LOW: "output_frequency",
    Role.SKIP_1_HIGH: "output_frequency",
    Role.SKIP_2_LOW: "output_frequency",
    Role.SKIP_2_HIGH: "output_frequency",
    Role.SKIP_3_LOW: "output_frequency",
    Role.SKIP_3_HIGH: "output_frequency",
    Role.RAMP_UP: "ramp",
    Role.RAMP_DOWN: "ramp",
    Role.BASE_FREQUENCY: "output_frequency",
    Role.BASE_VOLTAGE: "voltage",
    Role.VOLTS_TRIM: "volts_trim",
    Role.OVERLOAD_CURRENT: "current",
    Role.SET_POINT: "pressure",
    Role.LOOP_RANGE: "pressure",
    Role.LOOP_GAIN: "loop_gain",
    Role.LOOP_INTEGRAL: "loop_time",
    Role.FEEDBACK: "pressure",
    Role.OUTPUT_FREQUENCY: "output_frequency",
    Role.OUTPUT_CURRENT: "current",
    Role.OUTPUT_VOLTAGE: "voltage",
    Role.LINK_VOLTAGE: "link_voltage",
    Role.SIGNAL_INPUT: "command_voltage",
    Role.SPEED_COMMAND: "signal",
    Role.VOLTAGE: "voltage",
    Role.CURRENT: "current",
    Role.INPUT_POWER: "input_power",
    Role.POWER_FACTOR: "read_power_factor",
    Role.SPEED: "speed",
    Role.SUPPLY_STATIC: "supply_static_pressure",
    Role.RETURN_STATIC: "return_static_pressure",
    Role.ENTERING: "temperature",
    Role.LEAVING: "temperature",
    Role.AIRFLOW: "airflow",
    Role.SOUND_LEVEL: "sound_level",
    Role.NOISE: "meter_noise",
    Role.DROP_OUTS: "share_of_hours",
    Role.DRIFT: "change",
}
"""Quantity of each role; roles that are not here are words of bits or numbers without a unit."""

NEEDED: dict[DeviceKind, tuple[Role, ...]] = {
    DeviceKind.DRIVE: (Role.IDENTITY, Role.RUN, Role.FREQUENCY_COMMAND, Role.STATUS, Role.OUTPUT_FREQUENCY),
    DeviceKind.FAN: (Role.IDENTITY, Role.SPEED),
    DeviceKind.METER: (Role.IDENTITY,),
}


class Register(Frozen):
    """One value of a device: where it stands, how it is coded, and between which values it is believed.

    A value in ``unit`` is the raw number × ``scale`` + ``offset``.
    """

    role: Role
    address: int = Field(ge=0, le=65535, description="address on the wire, counted from nought")
    kind: Literal["holding", "input"] = "holding"
    type: Literal["uint16", "int16", "uint32", "int32", "float32"] = "uint16"
    scale: float = Field(default=1.0, description="value for one count", allow_inf_nan=False)
    offset: float = Field(default=0.0, allow_inf_nan=False)
    unit: str = Field(
        default="", description="unit of the value, as the table of units names it; empty for words of bits"
    )
    access: Literal["read", "write"] = Field(default="read", description="write: may be read as well")
    low: float | None = Field(
        default=None, description="least value that is believed, or may be written", allow_inf_nan=False
    )
    high: float | None = Field(default=None, description="highest of them", allow_inf_nan=False)
    note: str = Field(default="", max_length=200)

    @property
    def words(self) -> int:
        """Registers of 16 bits that it takes."""
        return WORDS[self.type]

    @property
    def measure(self) -> Unit | None:
        """Its unit, or nothing where the role has no quantity."""
        name = QUANTITY_OF.get(self.role)
        return quantity(name).unit_named(self.unit) if name else None

    def to_si(self, value: float) -> float:
        """A value in its unit as the value used inside."""
        return self.measure.to_si(value) if self.measure else value

    def from_si(self, value: float) -> float:
        """A value used inside in the register's own unit."""
        return self.measure.from_si(value) if self.measure else value

    @model_validator(mode="after")
    def _sound(self) -> Register:
        name = QUANTITY_OF.get(self.role)
        if name and self.measure is None:
            raise ValueError(say("profile-no-unit", role=self.role, unit=self.unit, label=quantity(name).label))
        if self.scale == 0:
            raise ValueError(say("profile-no-scale", role=self.role))
        if self.kind == "input" and self.access == "write":
            raise ValueError(say("profile-input-written", role=self.role))
        if self.low is not None and self.high is not None and self.low >= self.high:
            raise ValueError(
                say("profile-limits-crossed", role=self.role, low=Number(self.low, "g"), high=Number(self.high, "g"))
            )
        if self.type in RANGES:
            ends = sorted(self.scale * raw + self.offset for raw in RANGES[self.type])
            for limit in (self.low, self.high):
                if limit is not None and not ends[0] <= limit <= ends[1]:
                    raise ValueError(
                        say(
                            "profile-limit-untold",
                            role=self.role,
                            limit=Number(limit, "g"),
                            unit=self.unit,
                            type=self.type,
                            scale=Number(self.scale, "g"),
                        )
                    )
        return self


class DeviceProfile(Frozen):
    """Everything the client must know of one make of device."""

    format: Literal["modest-rotor device"] = PROFILE_FORMAT
    version: Literal[1] = 1
    code: str = Field(pattern=r"^[a-z0-9][a-z0-9-]{1,39}$")
    name: str = Field(min_length=1, max_length=120)
    kind: DeviceKind
    identity: int = Field(ge=1, le=65535, description="what its identity register says")
    word_order: Literal["high first", "low first"] = "high first"
    registers: tuple[Register, ...] = Field(min_length=1, max_length=MOST_REGISTERS)
    traits: Traits = Traits()
    running_bit: int = Field(default=0, ge=0, le=15, description="bit of the status word that says that it runs")
    faults: dict[int, str] = Field(default_factory=dict, description="words for the numbers of the fault register")

    @model_validator(mode="after")
    def _sound(self) -> DeviceProfile:
        roles = [register.role for register in self.registers]
        twice = next((role for role in roles if roles.count(role) > 1), None)
        if twice:
            raise ValueError(say("profile-role-twice", role=twice))
        missing = [role for role in NEEDED[self.kind] if role not in roles]
        if missing:
            raise ValueError(say("profile-role-missing", kind=self.kind, roles=joined(", ", missing)))
        taken: dict[tuple[str, int], Role] = {}
        for register in self.registers:
            for address in range(register.address, register.address + register.words):
                other = taken.setdefault((register.kind, address), register.role)
                if other is not register.role:
                    raise ValueError(
                        say(
                            "profile-same-register",
                            role=register.role,
                            other=other,
                            kind=register.kind,
                            address=address,
                        )
                    )
        if self.kind is DeviceKind.DRIVE and self.traits.drive is None:
            raise ValueError(say("profile-drive-traits"))
        return self

    def register(self, role: Role) -> Register | None:
        """The register of a role, if the device has one."""
        return next((one for one in self.registers if one.role is role), None)


def read_profile(text: str) -> DeviceProfile:
    """A profile from its file's text.

    :raises ProfileRefused: it is no profile, overlaps or contradicts itself; the sentence says where.
    """
    try:
        data: Any = json.loads(text)
    except (ValueError, RecursionError) as error:
        raise ProfileRefused(say("profile-not-json", error=str(error)[:200])) from error
    return profile_from_data(data)


def profile_from_data(data: Any) -> DeviceProfile:
    """The same from data. :raises ProfileRefused: as :func:`read_profile`."""
    try:
        return DeviceProfile.model_validate(data)
    except ValidationError as error:
        place, reason = first_reason(error)
        raise ProfileRefused(say("profile-unfit", place=place or say("profile-whole"), reason=reason)) from error


@cache
def shipped_profiles() -> dict[str, DeviceProfile]:
    """The invented profiles that ship with the application, by their code."""
    folder = files(__package__).joinpath("profiles")
    found = [read_profile(file.read_text(encoding="utf-8")) for file in folder.iterdir() if file.name.endswith(".json")]
    return {profile.code: profile for profile in sorted(found, key=lambda one: one.code)}


def profile_schema() -> dict[str, Any]:
    """The schema of a profile's file, for whoever writes one."""
    schema = DeviceProfile.model_json_schema()
    return {"$schema": "https://json-schema.org/draft/2020-12/schema", "title": "Modest Rotor device profile"} | schema
