"""The knobs of a stand: what may be turned on it, how far, and in which unit it is read."""

from __future__ import annotations

from typing import Literal

from pydantic import Field, field_validator

from modest_rotor.core.bench.stand import OUTLETS, Controls, Law, SensorAt, Stand, Tap, set_pressure
from modest_rotor.core.phrase import Frozen
from modest_rotor.core.physics.electronic import Command
from modest_rotor.core.physics.three_phase import ThreePhaseMotor
from modest_rotor.core.physics.two_axis import TwoAxisMotor

Part = Literal["motor", "wheel", "duct", "pipe", "supply", "capacitor", "command", "loop", "year"]
FULL_SIGNAL_V = 10.0
LEAST_HZ = 1.0
"""Hertz below which no motor of the Bench is solved. Our judgement, no source."""


class Turned(Frozen):
    """Controls of the rig as they are told from outside; what is not said stands as built."""

    volts: float = Field(default=1.0, ge=0.01, le=1.5)
    hertz: float = Field(default=0.0, ge=0, le=120, description="0 as built, or at least 1 Hz")
    unbalance: float = Field(default=0.0, ge=0, le=0.1)
    law: Law = Law.LINEAR
    carrier_hz: float = Field(default=4000.0, ge=1000, le=16000)
    tap: Tap = Tap.HIGH
    bare: bool = False
    open: float = Field(default=1.0, ge=0.05, le=1)
    filter: float = Field(default=1.0, ge=0, le=20)
    outlets: int = Field(default=OUTLETS, ge=1, le=OUTLETS)
    lift: float = Field(default=0.0, ge=0, le=0.95)
    air_c: float = Field(default=20.0, ge=-30, le=60)
    fans: int = Field(default=0, ge=0, le=8)
    capacitor: float = Field(default=1.0, ge=0, le=1.1)
    label: float = Field(default=1.0, ge=0.3, le=2)
    drag: float = Field(default=0.0, ge=0, le=3)
    command: Command = Command.SPEED
    value: float = Field(default=1.0, ge=0.05, le=1.2)
    loop: bool = False
    set_point: float = Field(default=0.6, ge=0.05, le=1.5)
    gain: float = Field(default=1.0, ge=0.05, le=50)
    integral_s: float = Field(default=4.0, ge=0.2, le=300)
    sensor_at: SensorAt = SensorAt.ALONG
    sensor_s: float = Field(default=0.8, ge=0, le=10)
    hours: float = Field(default=0.0, ge=0, le=8760)
    low_hours: float = Field(default=0.0, ge=0, le=8760)
    low: float = Field(default=0.5, ge=0.2, le=1)

    @field_validator("hertz")
    @classmethod
    def _no_supply_is_so_slow(cls, hertz: float) -> float:
        if 0 < hertz < LEAST_HZ:
            raise ValueError(f"a supply has at least {LEAST_HZ:g} Hz; 0 leaves it as built")
        return hertz

    @property
    def controls(self) -> Controls:
        """As the rig takes them."""
        return Controls(**self.model_dump())


class Choice(Frozen):
    """One of the positions of a switch."""

    value: str | bool | int
    words: str


class Knob(Frozen):
    """Something that may be turned.

    ``key`` names it among the controls; its value times ``factor`` is what is shown of it, as ``quantity``. A switch has
    ``choices`` instead of a range. ``command`` says for which command of an electronic motor it stands.
    """

    key: str
    label: str
    part: Part
    quantity: str = "ratio"
    factor: float = 1.0
    low: float = 0.0
    high: float = 1.0
    step: float = 0.05
    built: float | str | bool = 1.0
    choices: tuple[Choice, ...] = ()
    command: Command | None = None
    words: str = ""


def knobs_of(stand: Stand) -> tuple[Knob, ...]:
    """What may be turned on a stand, in the order of the parts. Source: the stand's own parts."""
    return (*_motor(stand), *_supply(stand), *_command(stand), *_loop(stand), *_duct(stand), *_year(stand))


def _loop(stand: Stand) -> list[Knob]:
    """Of a stand with a drive: what it holds by itself, and how it goes about it."""
    if stand.drive is None:
        return []
    what = stand.medium.pressure
    return [
        _switch("loop", "Loop", "loop", False, ((False, "in hand"), (True, "closed"))),
        _switch("sensor_at", "Its sensor sits", "loop", "along", (("unit", "at the unit"), ("along", "two thirds along"))),
        Knob(key="set_point", label="Set point", part="loop", quantity=what, factor=set_pressure(stand, Controls(set_point=1.0)), low=0.1, high=1.2, built=0.6),
        Knob(key="gain", label="Gain", part="loop", quantity="loop_gain", low=0.2, high=30, step=0.2),
        Knob(key="integral_s", label="Integral time", part="loop", quantity="loop_time", low=0.5, high=30, step=0.5, built=4.0),
        Knob(key="sensor_s", label="Damping of the sensor", part="loop", quantity="loop_time", high=5, step=0.1, built=0.8),
    ]  # fmt: skip


def _motor(stand: Stand) -> list[Knob]:
    found = [
        _switch("bare", "Wheel", "wheel", False, ((False, "on its shaft"), (True, "off: bare shaft"))),
        Knob(key="drag", label="Rubbing", part="wheel", high=1.5, built=0.0, words="of the load’s torque"),
    ]
    if stand.has_capacitor:
        assert isinstance(stand.motor, TwoAxisMotor)
        found += [
            _switch("tap", "Tap", "motor", "high", (("low", "low"), ("high", "high"))),
            Knob(
                key="capacitor",
                label="Capacitor left",
                part="capacitor",
                words="of its label",
            ),
            Knob(
                key="label",
                label="Capacitor label",
                part="capacitor",
                quantity="capacitance",
                factor=float(stand.motor.capacitance),
                low=0.4,
                high=1.8,
            ),
        ]
    return found


def _supply(stand: Stand) -> list[Knob]:
    found = [
        Knob(
            key="volts",
            label="Supply volts",
            part="supply",
            quantity="rated_voltage",
            factor=stand.volts,
            low=0.4,
            high=1.2,
            step=0.01,
        )
    ]
    if not stand.is_electronic and stand.drive is None:
        found.append(
            Knob(
                key="hertz",
                label="Supply hertz",
                part="supply",
                quantity="frequency",
                low=40,
                high=65,
                step=1,
                built=stand.hertz,
            )
        )
    if isinstance(stand.motor, ThreePhaseMotor) and stand.drive is None:
        found.append(
            Knob(
                key="unbalance",
                label="Unbalanced volts",
                part="supply",
                quantity="change",
                high=0.08,
                step=0.005,
                built=0.0,
            )
        )
    return found


def _command(stand: Stand) -> list[Knob]:
    if stand.drive is not None:
        return [
            Knob(
                key="hertz",
                label="Drive’s hertz",
                part="command",
                quantity="frequency",
                low=10,
                high=60,
                step=0.5,
                built=stand.hertz,
            ),
            _switch(
                "law", "Volts follow hertz", "command", "linear", (("linear", "in step"), ("fan", "fan law: fewer"))
            ),
            Knob(
                key="carrier_hz",
                label="Carrier",
                part="command",
                quantity="carrier_frequency",
                low=1000,
                high=16000,
                step=500,
                built=4000.0,
            ),
        ]
    if not stand.is_electronic:
        return []
    held = stand.load.machine.flow * stand.load.running
    return [
        _switch(
            "command", "It holds", "command", "speed", (("torque", "torque"), ("airflow", "air"), ("speed", "speed"))
        ),
        Knob(key="value", label="Torque dial", part="command", quantity="command", low=0.1, command=Command.TORQUE),
        Knob(
            key="value",
            label="Air dial",
            part="command",
            quantity="airflow",
            factor=float(held),
            low=0.2,
            high=1.2,
            command=Command.AIRFLOW,
        ),
        Knob(
            key="value",
            label="Signal",
            part="command",
            quantity="command_voltage",
            factor=FULL_SIGNAL_V,
            low=0.1,
            command=Command.SPEED,
        ),
    ]


def _duct(stand: Stand) -> list[Knob]:
    part: Part = "pipe" if stand.is_pump else "duct"
    damper, filter_, outlets = (
        ("Valve", "Strainer", "Branches open") if stand.is_pump else ("Damper", "Filter", "Outlets open")
    )
    found = [
        Knob(key="open", label=damper, part=part, quantity="flow_share", low=0.05, words="open"),
        Knob(
            key="filter",
            label=filter_,
            part=part,
            high=12,
            step=0.25,
            words="of clean",
        ),
        Knob(key="outlets", label=outlets, part=part, quantity="count", low=1, high=OUTLETS, step=1, built=OUTLETS),
        Knob(
            key="lift",
            label="More lift" if stand.is_pump else "More held",
            part=part,
            high=0.9,
            built=0.0,
            words="of built",
        ),
    ]
    if not stand.is_pump:
        found.append(
            Knob(
                key="air_c",
                label="Air",
                part=part,
                quantity="temperature",
                low=-20,
                high=50,
                step=5,
                built=20.0,
            )
        )
    if stand.load.running > 1:
        counts = tuple((count, f"{count} of {stand.load.running}") for count in range(1, stand.load.running + 1))
        found.append(_switch("fans", "Fans running", part, stand.load.running, counts))
    return found


def _year(stand: Stand) -> list[Knob]:
    hours = Knob(
        key="hours",
        label="Hours as set",
        part="year",
        quantity="hours",
        high=8760,
        step=250,
        built=0.0,
    )
    if not (stand.is_electronic or stand.drive is not None):
        return [hours]
    return [
        hours,
        hours.model_copy(update={"key": "low_hours", "label": "Hours at low"}),
        Knob(key="low", label="Low is", part="year", quantity="command", low=0.2, built=0.5, words="of set"),
    ]


def _switch(
    key: str, label: str, part: Part, built: str | bool | int, choices: tuple[tuple[str | bool | int, str], ...]
) -> Knob:
    options = tuple(Choice(value=value, words=words) for value, words in choices)
    return Knob(key=key, label=label, part=part, quantity="count", built=built, choices=options)
