"""The knobs of a stand: what may be turned on it, how far, and in which unit it is read."""

from __future__ import annotations

from typing import Literal

from pydantic import Field, field_validator

from modest_rotor.core.bench.stand import OUTLETS, Controls, Law, SensorAt, Stand, Tap, set_pressure
from modest_rotor.core.phrase import Frozen
from modest_rotor.core.physics.electronic import Command
from modest_rotor.core.physics.three_phase import ThreePhaseMotor
from modest_rotor.core.physics.two_axis import TwoAxisMotor
from modest_rotor.core.say import Number, say

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
            raise ValueError(say("knobs-least-hertz", least=Number(LEAST_HZ, "g")))
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
        _switch("loop", say("word-loop"), "loop", False, ((False, say("knobs-loop-hand")), (True, say("origin-closed")))),
        _switch("sensor_at", say("knobs-loop-sensor-sits"), "loop", "along", (("unit", say("knobs-loop-unit")), ("along", say("knobs-loop-two-thirds")))),
        Knob(key="set_point", label=say("label-set-point"), part="loop", quantity=what, factor=set_pressure(stand, Controls(set_point=1.0)), low=0.1, high=1.2, built=0.6),
        Knob(key="gain", label=say("knobs-loop-gain"), part="loop", quantity="loop_gain", low=0.2, high=30, step=0.2),
        Knob(key="integral_s", label=say("knobs-loop-integral-time"), part="loop", quantity="loop_time", low=0.5, high=30, step=0.5, built=4.0),
        Knob(key="sensor_s", label=say("knobs-loop-damping-sensor"), part="loop", quantity="loop_time", high=5, step=0.1, built=0.8),
    ]  # fmt: skip


def _motor(stand: Stand) -> list[Knob]:
    found = [
        _switch(
            "bare",
            say("word-wheel"),
            "wheel",
            False,
            ((False, say("knobs-motor-shaft")), (True, say("knobs-motor-off-bare"))),
        ),
        Knob(
            key="drag",
            label=say("knobs-motor-rubbing"),
            part="wheel",
            high=1.5,
            built=0.0,
            words=say("knobs-motor-load-s"),
        ),
    ]
    if stand.has_capacitor:
        assert isinstance(stand.motor, TwoAxisMotor)
        found += [
            _switch(
                "tap", say("word-tap"), "motor", "high", (("low", say("origin-low")), ("high", say("origin-high")))
            ),
            Knob(
                key="capacitor",
                label=say("knobs-motor-capacitor-left"),
                part="capacitor",
                words=say("knobs-motor-label"),
            ),
            Knob(
                key="label",
                label=say("knobs-motor-capacitor-label"),
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
            label=say("knobs-supply-supply-volts"),
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
                label=say("knobs-supply-supply-hertz"),
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
                label=say("knobs-supply-unbalanced-volts"),
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
                label=say("knobs-command-drive-s"),
                part="command",
                quantity="frequency",
                low=10,
                high=60,
                step=0.5,
                built=stand.hertz,
            ),
            _switch(
                "law",
                say("knobs-command-volts-follow"),
                "command",
                "linear",
                (("linear", say("knobs-command-step")), ("fan", say("knobs-command-fan-law"))),
            ),
            Knob(
                key="carrier_hz",
                label=say("knobs-command-carrier"),
                part="command",
                quantity="carrier_frequency",
                low=1000,
                high=16000,
                step=500,
                built=4000.0,
            ),
        ]
    return _electronic_command(stand) if stand.is_electronic else []


def _electronic_command(stand: Stand) -> list[Knob]:
    held = stand.load.machine.flow * stand.load.running
    return [
        _switch(
            "command",
            say("knobs-command-holds"),
            "command",
            "speed",
            (("torque", say("knobs-torque")), ("airflow", say("knobs-air")), ("speed", say("term-speed"))),
        ),
        Knob(
            key="value",
            label=say("knobs-command-torque-dial"),
            part="command",
            quantity="command",
            low=0.1,
            command=Command.TORQUE,
        ),
        Knob(
            key="value",
            label=say("knobs-command-air-dial"),
            part="command",
            quantity="airflow",
            factor=float(held),
            low=0.2,
            high=1.2,
            command=Command.AIRFLOW,
        ),
        Knob(
            key="value",
            label=say("knobs-command-signal"),
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
        (say("word-valve"), say("word-strainer"), say("knobs-duct-branches-open"))
        if stand.is_pump
        else (say("word-damper"), say("word-filter"), say("knobs-duct-outlets-open"))
    )
    found = [
        Knob(key="open", label=damper, part=part, quantity="flow_share", low=0.05, words=say("knobs-duct-open")),
        Knob(key="filter", label=filter_, part=part, high=12, step=0.25, words=say("knobs-duct-clean")),
        Knob(key="outlets", label=outlets, part=part, quantity="count", low=1, high=OUTLETS, step=1, built=OUTLETS),
        Knob(
            key="lift",
            label=say("knobs-duct-more-lift") if stand.is_pump else say("knobs-duct-more-held"),
            part=part,
            high=0.9,
            built=0.0,
            words=say("knobs-duct-built"),
        ),
    ]
    if not stand.is_pump:
        found.append(
            Knob(
                key="air_c",
                label=say("knobs-duct-air"),
                part=part,
                quantity="temperature",
                low=-20,
                high=50,
                step=5,
                built=20.0,
            )
        )
    if stand.load.running > 1:
        counts = tuple(
            (count, say("knobs-duct-of", count=count, running=stand.load.running))
            for count in range(1, stand.load.running + 1)
        )
        found.append(_switch("fans", say("knobs-duct-fans-running"), part, stand.load.running, counts))
    return found


def _year(stand: Stand) -> list[Knob]:
    hours = Knob(
        key="hours", label=say("knobs-year-hours-set"), part="year", quantity="hours", high=8760, step=250, built=0.0
    )
    if not (stand.is_electronic or stand.drive is not None):
        return [hours]
    return [
        hours,
        hours.model_copy(update={"key": "low_hours", "label": say("knobs-year-hours-low")}),
        Knob(
            key="low",
            label=say("knobs-year-low"),
            part="year",
            quantity="command",
            low=0.2,
            built=0.5,
            words=say("knobs-year-set"),
        ),
    ]


def _switch(
    key: str, label: str, part: Part, built: str | bool | int, choices: tuple[tuple[str | bool | int, str], ...]
) -> Knob:
    options = tuple(Choice(value=value, words=words) for value, words in choices)
    return Knob(key=key, label=label, part=part, quantity="count", built=built, choices=options)
