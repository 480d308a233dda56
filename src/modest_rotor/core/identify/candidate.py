"""Motors that a plate could stand for: from numbers in standard deviations about the typical one to a solvable machine."""

from __future__ import annotations

import math
from dataclasses import dataclass
from functools import cache, cached_property
from typing import Any

import numpy as np

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import Array
from modest_rotor.core.identify.motor import MotorKind, PlateFacts
from modest_rotor.core.physics.operating_point import InductionMotor
from modest_rotor.core.physics.supply import Supply
from modest_rotor.core.physics.three_phase import ThreePhaseMotor
from modest_rotor.core.physics.two_axis import SWITCH_SPEED_SHARE, Auxiliary, TwoAxisMotor
from modest_rotor.core.say import joined, say
from modest_rotor.core.tables import find_row, read_table

SATURATION, SATURATION_EXPONENT = 0.35, 6.0
"""k_s and n of small motors. Our judgement, no source."""
DEEP_BAR = 1.3
"""R_2 against the backward field over R_2. Our judgement, no source."""
STRAY_SHARE = 0.012
"""Stray load loss at rated amps over rated power. Our judgement, no source; IEEE Std 112 assumes 0.018 for small polyphase."""
TURNS_BY_VOLTS = ((150.0, 1.95), (255.0, 1.25), (1000.0, 1.1))
"""Typical turns ratio of capacitor motors up to a rated voltage: the capacitor is chosen for its own volts. Our judgement."""
SHADING_TILT = 0.55
"""Part of a shading ring's turns along the main axis, and across it √(1 − 0.55²). Our judgement, no source."""
FALLS_WITH_SIZE, SIZE_OF_PRIORS_W, LOSSES_FALL = ("r1", "core", "friction"), 2000.0, 0.3
"""What falls per unit in larger three-phase motors, the size that the table of priors is of, and the power by which it falls: that
of the losses of the classes of IEC 60034-30-1."""
CAPACITOR_SD = 0.03
"""Standard deviation of the logarithm of a sound capacitor about its label: tolerance is mostly 5 or 6 %. Common practice."""
UNSEEN_CAPACITOR_SD = 0.40
CAPACITOR_PER_W = 26e-9 * 230.0**2
"""Typical C V² / P_N of run capacitors, F V²/W, where the label was not read; wide. Our judgement, no source."""
UNREAD_VA_PER_W = {
    MotorKind.SPLIT_CAPACITOR: 1.9,
    MotorKind.SINGLE_PHASE: 2.4,
    MotorKind.SHADED_POLE: 6.5,
    MotorKind.THREE_PHASE: 1.0,
}
"""Rated volt-amperes (volts × line amps) over rated power where the plate's amps were not read. Our judgement, no source."""
CAPACITOR_LOSS_TANGENT = 0.002
"""Loss of a sound film capacitor over its reactance. Common practice."""
NEARLY_AT_REST = 0.9
CONNECTION, CONNECTION_STEEPNESS = "connection", 1.7
"""1.7 makes every share between the two connections about equally likely."""
SLIP_SD = 0.10
"""Standard deviation of a motor's true slip at rated load about its plate's, as a share. NEMA MG 1, 12.46 (from memory): 20 %
either side, taken as what 95 of 100 keep."""


@dataclass(frozen=True)
class Candidates:
    """The family of motors that share a plate: how many numbers tell one from another, and how a motor is made of them.

    Each number is counted in standard deviations of what is known before anything was read: 0 is the typical motor.
    """

    plate: PlateFacts
    names: tuple[str, ...]
    labels: tuple[str, ...]
    medians: Array
    spreads: Array

    @property
    def count(self) -> int:
        """How many numbers make a motor."""
        return len(self.names)

    @cached_property
    def index(self) -> dict[str, int]:
        """The place of each number by name."""
        return {name: place for place, name in enumerate(self.names)}

    def values(self, numbers: Array) -> dict[str, Array]:
        """The parameters in their own units from numbers of shape ``(..., count)``.

        :param numbers: standard normal, ``count`` to a motor. Source: the priors of table ``motor_priors``, our
        judgement.
        """
        physical = self.medians * np.exp(self.spreads * numbers[..., : self.count])
        return {name: physical[..., place] for place, name in enumerate(self.names)}

    def motor(self, numbers: Array) -> InductionMotor:
        """The motors of an array of numbers, parameters of shape ``(...)``."""
        value, plate = self.values(numbers), self.plate
        assert plate.rated_voltage_v and plate.rated_power_w and plate.frequency_hz and plate.poles
        size = _size_w(plate)
        base = plate.rated_voltage_v**2 / size
        synchronous = 4 * math.pi * plate.frequency_hz / plate.poles
        amps = (
            plate.rated_current_a
            or UNREAD_VA_PER_W[plate.kind or MotorKind.SPLIT_CAPACITOR] * plate.rated_power_w / plate.rated_voltage_v
        )
        common: dict[str, Any] = {
            "poles": plate.poles,
            "rated_voltage": plate.rated_voltage_v,
            "rated_frequency": plate.frequency_hz,
            "main_resistance": value["r1"] * base,
            "main_reactance": value["x"] * base,
            "magnetising_reactance": value["xm"] * base,
            "rotor_resistance": value["r2"] * base,
            "rotor_reactance": value["x"] * base,
            "core_conductance": value["core"] * size / plate.rated_voltage_v**2,
            "friction_nm": value["friction"] * plate.rated_power_w / synchronous,
            "stray_resistance": STRAY_SHARE * plate.rated_power_w / amps**2,
            "saturation": SATURATION,
            "saturation_exponent": SATURATION_EXPONENT,
        }
        if plate.kind is MotorKind.THREE_PHASE:
            return ThreePhaseMotor(**common)
        return TwoAxisMotor(**common, deep_bar=DEEP_BAR, **_auxiliary(plate, value, base))

    def true_rated_slip(self, numbers: Array) -> Array:
        """Slip at rated load, which the plate rounds and a maker scatters.

        :returns: a share, of the shape of the motors. Source: NEMA MG 1, 12.46 (from memory), for the scatter.
        """
        return self.values(numbers)["slip"]

    def tap(self, name: str, numbers: Array) -> Array:
        """Extra turns of a tap over those of the main winding.

        :param name: of the tap. :returns: a ratio above 1. Source: tapped windings, textbooks; their prior our
        judgement.
        """
        return self.values(numbers)[name]

    def tap_in_line(self, numbers: Array) -> Array:
        """How far a tap's turns carry the line current, 0 to 1: makers use both connections, and none can be seen.

        Source: the two connections of tapped windings, textbooks; their prior our judgement.
        """
        if CONNECTION not in self.index:
            return np.zeros(numbers.shape[:-1])
        return np.asarray(1 / (1 + np.exp(-CONNECTION_STEEPNESS * numbers[..., self.index[CONNECTION]])))


@dataclass(frozen=True)
class Tap:
    """What is known of a lower tap before its readings: extra turns over the main winding's, and the spread of their log."""

    name: str
    turns: float
    spread: float


def usual_tap(name: str) -> Tap:
    """A tap as motors usually have it. Source: table speed_taps, common practice, no source."""
    row = find_row("speed_taps", tap=name)
    return Tap(name, float(row["median"]), float(row["sd"]))


def candidates(plate: PlateFacts, taps: tuple[Tap, ...] = ()) -> Candidates:
    """The family of motors of a plate.

    :param plate: kind, power, volts, rated speed and frequency are needed.
    :param taps: the lower taps on which something was read; each adds its extra turns to the numbers.
    :raises OutsideValidity: when the plate lacks one of them.

    Source: table motor_priors, our judgement, no source.
    """
    lacking = lacks(plate)
    if lacking:
        raise OutsideValidity(
            say(
                "candidate-candidates-motor-fitted",
                lacking=joined(", ", lacking),
                lacks=say("candidate-candidates-lacks")
                if len(lacking) == 1
                else say("candidate-candidates-they-missing"),
            )
        )
    rows = [(name, label, median * _scale(plate, name), sd) for name, label, median, sd in _priors(str(plate.kind))]
    assert plate.rated_slip is not None and plate.synchronous_speed_rpm is not None
    if plate.kind is MotorKind.SPLIT_CAPACITOR:
        known = plate.run_capacitance_f
        assert plate.rated_voltage_v is not None and plate.rated_power_w is not None
        typical = CAPACITOR_PER_W * plate.rated_power_w / plate.rated_voltage_v**2
        rows.append(("c", say("term-run-capacitor"), known or typical, CAPACITOR_SD if known else UNSEEN_CAPACITOR_SD))
    rounding = plate.speed_step_rpm / math.sqrt(12) / (plate.rated_slip * plate.synchronous_speed_rpm)
    rows.append(("slip", say("candidate-candidates-slip-rated"), plate.rated_slip, math.hypot(SLIP_SD, rounding)))
    for tap in taps:
        rows.append((tap.name, say("candidate-candidates-extra-turns", tap=tap.name), tap.turns, tap.spread))
    if taps:
        rows.append((CONNECTION, say("candidate-candidates-connection-taps"), 1.0, 1.0))
    names, labels, medians, spreads = zip(*rows, strict=True)
    return Candidates(plate, names, labels, np.array(medians), np.array(spreads))


def lacks(plate: PlateFacts) -> tuple[str, ...]:
    """What a plate lacks for a fit, in words."""
    wanted = (
        ("kind", plate.kind),
        (say("term-rated-power"), plate.rated_power_w),
        (say("term-rated-volts"), plate.rated_voltage_v),
        (say("term-rated-speed-and-frequency"), plate.rated_slip),
    )
    return tuple(name for name, value in wanted if not value)


def at_rated(plate: PlateFacts) -> Supply:
    """Rated volts and hertz, warm."""
    return Supply(voltage=plate.rated_voltage_v, frequency=plate.frequency_hz)


@cache
def _priors(kind: str) -> tuple[tuple[str, str, float, float], ...]:
    rows = [row for row in read_table("motor_priors") if row["motor"] == kind]
    return tuple((row["parameter"], row["label"], float(row["median"]), float(row["sd"])) for row in rows)


def _scale(plate: PlateFacts, name: str) -> float:
    if name == "r2":
        assert plate.rated_slip is not None
        return plate.rated_slip
    if name == "a":
        assert plate.rated_voltage_v is not None
        typical = next(ratio for volts, ratio in TURNS_BY_VOLTS if plate.rated_voltage_v <= volts)
        return typical / TURNS_BY_VOLTS[1][1]
    if plate.kind is MotorKind.THREE_PHASE and name in FALLS_WITH_SIZE:
        assert plate.rated_power_w is not None
        return float((plate.rated_power_w / SIZE_OF_PRIORS_W) ** -LOSSES_FALL)
    return 1.0


def _auxiliary(plate: PlateFacts, value: dict[str, Array], base: float) -> dict[str, Any]:
    if plate.kind is MotorKind.SINGLE_PHASE:
        return {"auxiliary": Auxiliary.SWITCHED_OFF}
    if plate.kind is MotorKind.SHADED_POLE:
        return {
            "auxiliary": Auxiliary.SHORTED,
            "tilt": SHADING_TILT,
            "turns_ratio": -math.sqrt(1 - SHADING_TILT**2),  # it turns toward the ring: the ring's flux lags
            "auxiliary_resistance": value["ka"] * base,
            "auxiliary_reactance": 0.0,
        }
    assert plate.frequency_hz is not None
    a2 = value["a"] ** 2
    return {
        "turns_ratio": value["a"],
        "auxiliary_resistance": value["ka"] * a2 * value["r1"] * base,
        "auxiliary_reactance": a2 * value["x"] * base,
        "capacitance": value["c"],
        "capacitor_resistance": CAPACITOR_LOSS_TANGENT / (2 * math.pi * plate.frequency_hz * value["c"]),
    }


def _size_w(plate: PlateFacts) -> float:
    """What impedances and core loss are counted from: rated power, or volt-amperes where most of them never reach the shaft."""
    assert plate.rated_power_w is not None and plate.rated_voltage_v is not None
    if plate.kind is not MotorKind.SHADED_POLE:
        return plate.rated_power_w
    if plate.rated_current_a:
        return plate.rated_voltage_v * plate.rated_current_a
    return UNREAD_VA_PER_W[plate.kind] * plate.rated_power_w


def highest_slip(plate: PlateFacts) -> float:
    """The slip up to which a motor of this plate may be asked: to its start switch, where it has one; else nearly to rest.

    :returns: a share. Source: ``SWITCH_SPEED_SHARE``, common practice, for a start switch; our judgement else.
    """
    return 1 - SWITCH_SPEED_SHARE if plate.kind is MotorKind.SINGLE_PHASE else NEARLY_AT_REST
