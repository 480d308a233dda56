"""What a motor that fits has to agree with: its plate, the habits of its kind, and every reading; a row for each."""

from __future__ import annotations

import math
from dataclasses import dataclass, field, replace
from functools import cached_property

import numpy as np

from modest_rotor.core.estimate import COVERAGE_95, Array
from modest_rotor.core.identify.candidate import Candidates, at_rated, highest_slip
from modest_rotor.core.identify.efficiency import losses_spread, typical_efficiency
from modest_rotor.core.identify.meters import Accuracies
from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.physics.motor_point import MotorPoint
from modest_rotor.core.physics.operating_point import LEAST_SLIP
from modest_rotor.core.physics.supply import REFERENCE_C, Supply, warm_temperature_c
from modest_rotor.core.say import say
from modest_rotor.core.tables import find_row

POWER_SD = 0.005
"""How closely a fitted motor must give its rated power at its true rated slip: the plate's power is a definition."""
AMPS_SD = 0.035
"""Standard deviation of true full-load amps about the plate's, as a share: makers round, and print one value for a range of
volts. Common practice, no source."""
LEAST_EFFICIENCY = 0.02
"""Efficiency below which one motor of a search is as bad as another."""
POWER_FACTOR_SD = 0.02
"""Standard deviation of a motor's power factor about its plate's: IEC 60034-1 allows a sixth of (1 − cos φ). From memory."""
STRUCTURE_SD = 0.03
"""How far a real motor strays from these equations in amps and in watts, as a share. Our own study, benchmarks/promises.py."""
CAPACITOR_VOLTS_SD = 0.03
UNLOADED_SLIP, LOCKED_SLIP = 0.006, 1.0
PULL_OUT_SLIPS = (0.14, 0.2, 0.28, 0.38, 0.52)
SWITCHED_PULL_OUT_SLIPS = (0.1, 0.14, 0.18, 0.22, 0.25)
WARMTH_SD_K = 8.0
"""How far the true temperature of a warm winding lies from the simple model of it, K. Our judgement, no source."""
COLD_RUN_C = REFERENCE_C - 52.0
UNREAD_SLIP_SD = 0.6
"""Standard deviation of the logarithm of slip over rated slip where no speed was read."""
UNREAD_SLIP = -0.3
SHARED = ("voltmeter", say("term-clamp-meter"), "wattmeter", say("rows-shared-warmth-winding"))
"""Errors that all readings share, after the numbers of the motor."""


@dataclass(frozen=True)
class Reading:
    """A running point to which the motor must agree; what was not read is ``None``. SI, speed in rpm.

    :param tap: name of the lower tap that was live, or ``None`` on the high tap.
    :param speed_sd: standard deviation of the speed read, rpm.
    :param shaft_power_w: shaft power where it is known: 0 with a bare shaft.
    :param warm: whether the motor had run for half an hour.
    :param accuracies: of the meters, as :func:`read_by_meter` takes them.
    :param regulated: whether a phase-cut regulator stood in the line.
    """

    name: str
    voltage: float
    frequency: float
    tap: str | None = None
    speed: float | None = None
    current: float | None = None
    input_power: float | None = None
    capacitor_voltage: float | None = None
    shaft_power_w: float | None = None
    speed_sd: float = 0.51
    current_sd: float = 0.0
    input_sd: float = 0.0
    warm: bool = True
    regulated: bool = False
    accuracies: Accuracies = ()

    def with_only_speed(self) -> Reading:
        """The same reading without amps, watts and capacitor volts."""
        return replace(self, current=None, input_power=None, capacitor_voltage=None)


@dataclass(frozen=True)
class Agreement:
    """All rows of a fit: ``residuals`` in standard deviations, ``names`` for each.

    Numbers are those of the candidates, then the shared errors, then one for the speed of each reading.
    """

    family: Candidates
    readings: tuple[Reading, ...] = ()
    names: list[str] = field(default_factory=list, compare=False)

    @property
    def count(self) -> int:
        """How many numbers."""
        return self.family.count + len(SHARED) + len(self.readings)

    def shared(self, numbers: Array, name: str) -> Array:
        """One of the shared errors, in standard deviations.

        :param numbers: standard normal, shape ``(..., count)``. :param name: of the error. Source: definition.
        """
        return numbers[..., self.family.count + SHARED.index(name)]

    def residuals(self, numbers: Array) -> Array:
        """Rows of shape ``(..., rows)`` for numbers of shape ``(..., count)``.

        Source: least squares with priors as rows (Gelman and others, Bayesian Data Analysis, ch. 14).
        """
        rows: list[tuple[str, Array]] = []
        rated = self._plate_rows(numbers, rows)
        if self.readings:
            self._reading_rows(numbers, rated, rows)
        labels = (
            *self.family.labels,
            *SHARED,
            *(say("rows-residuals-speed", reading=reading.name) for reading in self.readings),
        )
        if not self.names:
            self.names.extend(
                [name for name, _ in rows] + [say("rows-residuals-before", label=label) for label in labels]
            )
        return np.concatenate((np.stack(np.broadcast_arrays(*(row for _, row in rows)), axis=-1), numbers), axis=-1)

    def meter_sd(self, quantity: str) -> float:
        """Standard deviation of the own error of the meter that reads a quantity, as a share of the reading.

        Source: as :func:`meter_sd`.
        """
        return meter_sd(quantity, self.readings[0].accuracies if self.readings else ())

    @cached_property
    def _habits(self) -> dict[str, float]:
        row = find_row("motor_habits", motor=str(self.family.plate.kind))
        return {name: float(value) for name, value in row.items() if name != "motor"}

    @cached_property
    def _has_switch(self) -> bool:
        return self.family.plate.kind is MotorKind.SINGLE_PHASE

    def _plate_rows(self, numbers: Array, rows: list[tuple[str, Array]]) -> Array:
        """Adds the plate's rows; returns the losses at rated load, W."""
        plate, habits = self.family.plate, self._habits
        assert plate.rated_power_w is not None and plate.rated_torque_nm is not None
        slip = np.clip(self.family.true_rated_slip(numbers), LEAST_SLIP, highest_slip(plate))[..., None]
        high = SWITCHED_PULL_OUT_SLIPS if self._has_switch else (*PULL_OUT_SLIPS, LOCKED_SLIP)
        rest = np.broadcast_to(np.array((UNLOADED_SLIP, *high)), (*slip.shape[:-1], 1 + len(high)))
        at = self.family.motor(numbers[..., None, :]).at_slip(at_rated(plate), np.concatenate((slip, rest), axis=-1))
        power, amps = at.shaft_power_w[..., 0], at.current_a[..., 0]
        rows.append((say("term-rated-power"), log_ratio(power / plate.rated_power_w) / POWER_SD))
        full_load = plate.rated_current_a or amps
        if plate.rated_current_a:
            spread = math.hypot(AMPS_SD, plate.current_step_a / math.sqrt(12) / plate.rated_current_a)
            rows.append((say("term-full-load-amps"), np.log(amps / plate.rated_current_a) / spread))
        efficiency = power / at.input_power_w[..., 0]
        expected = 1 / typical_efficiency(plate) - 1
        losses = 1 / np.maximum(efficiency, LEAST_EFFICIENCY) - 1
        rows.append((say("rows-plate-rows-typical-efficiency"), -log_ratio(losses / expected) / losses_spread(plate)))
        if plate.printed_power_factor:
            factor = at.power_factor[..., 0]
            rows.append((say("rows-plate-rows-printed-power"), (factor - plate.printed_power_factor) / POWER_FACTOR_SD))
        pull_out = at.torque_nm[..., 2 : 2 + len(PULL_OUT_SLIPS)].max(axis=-1)
        rows.append(
            (
                say("rows-plate-rows-usual-pull"),
                log_ratio(pull_out / plate.rated_torque_nm / habits["pull_out"]) / habits["pull_out_sd"],
            )
        )
        rows.append(
            (
                say("rows-plate-rows-usual-unloaded"),
                (at.current_a[..., 1] / full_load - habits["unloaded_amps"]) / habits["unloaded_sd"],
            )
        )
        if not self._has_switch:
            rows.append(
                (
                    say("rows-plate-rows-usual-locked"),
                    np.log(at.current_a[..., -1] / full_load / habits["locked_amps"]) / habits["locked_sd"],
                )
            )
        if habits["capacitor_volts"]:
            over = at.capacitor_voltage_v[..., 0] / habits["capacitor_volts"] - 1
            rows.append((say("rows-plate-rows-capacitor-volts"), np.maximum(over, 0.0) / CAPACITOR_VOLTS_SD))
        return np.asarray(at.total_loss_w[..., 0])

    def _reading_rows(self, numbers: Array, rated_loss: Array, rows: list[tuple[str, Array]]) -> None:
        at = self.at_readings(numbers, rated_loss)
        plate = self.family.plate
        clamp, watts = (
            1 + self.meter_sd(quantity) * self.shared(numbers, meter)
            for quantity, meter in (("current", say("term-clamp-meter")), ("input_power", "wattmeter"))
        )
        for place, reading in enumerate(self.readings):
            if reading.current:
                spread = math.hypot(STRUCTURE_SD, reading.current_sd / reading.current)
                rows.append(
                    (
                        say("rows-reading-rows-amps", reading=reading.name),
                        np.log(at.current_a[..., place] / (reading.current * clamp)) / spread,
                    )
                )
            if reading.input_power:
                spread = math.hypot(STRUCTURE_SD, reading.input_sd / reading.input_power)
                read = reading.input_power * watts
                rows.append(
                    (
                        say("rows-reading-rows-watts", reading=reading.name),
                        log_ratio(at.input_power_w[..., place] / read) / spread,
                    )
                )
            if reading.capacitor_voltage:
                rows.append(
                    (
                        say("rows-reading-rows-capacitor-volts", reading=reading.name),
                        np.log(at.capacitor_voltage_v[..., place] / reading.capacitor_voltage) / STRUCTURE_SD,
                    )
                )
            if reading.shaft_power_w is not None:
                assert plate.rated_power_w is not None
                off = (at.shaft_power_w[..., place] - reading.shaft_power_w) / plate.rated_power_w
                rows.append((say("rows-reading-rows-known-shaft", reading=reading.name), off / POWER_SD))

    def at_readings(self, numbers: Array, rated_loss: Array) -> MotorPoint:
        """The motors at the speeds, volts, taps and temperatures of all readings, shape ``(..., readings)``."""
        slip = self._slips(numbers)
        motor = self.family.motor(numbers[..., None, :])
        supply = self._supply(numbers, self._temperature(numbers, rated_loss, None))
        # Warm in proportion to the losses, which depend on warmth in turn: twice is enough.
        first = motor.at_slip(supply, slip)
        return motor.at_slip(self._supply(numbers, self._temperature(numbers, rated_loss, first)), slip, first)

    def _slips(self, numbers: Array) -> Array:
        plate, start = self.family.plate, self.family.count + len(SHARED)
        columns = []
        for place, reading in enumerate(self.readings):
            off = numbers[..., start + place]
            synchronous = 120 * reading.frequency / (plate.poles or 1)
            if reading.speed is None:
                assert plate.rated_slip is not None
                slip = plate.rated_slip * np.exp(UNREAD_SLIP + UNREAD_SLIP_SD * off)
            else:
                slip = 1 - (reading.speed + reading.speed_sd * off) / synchronous
            columns.append(np.clip(slip, LEAST_SLIP, highest_slip(plate) if self._has_switch else 1.0))
        return np.stack(columns, axis=-1)

    def _temperature(self, numbers: Array, rated_loss: Array, at: MotorPoint | None) -> Array:
        ratio = 1.0 if at is None else at.total_loss_w / rated_loss[..., None]
        off = (WARMTH_SD_K * self.shared(numbers, "warmth of the winding"))[..., None]
        warm = np.array([reading.warm for reading in self.readings])
        return np.where(warm, np.minimum(warm_temperature_c(COLD_RUN_C, ratio), 180.0), COLD_RUN_C) + off

    def _supply(self, numbers: Array, temperature: Array) -> Supply:
        read = np.array([reading.voltage for reading in self.readings])
        volts = read * (1 + self.meter_sd("voltage") * self.shared(numbers, "voltmeter")[..., None])
        none = np.zeros(numbers.shape[:-1])
        taps = [self.family.tap(reading.tap, numbers) if reading.tap else none for reading in self.readings]
        return Supply(
            voltage=volts,
            frequency=np.array([reading.frequency for reading in self.readings]),
            tap=np.stack(taps, axis=-1),
            tap_in_line=self.family.tap_in_line(numbers)[..., None],
            winding_c=temperature,
            rotor_c=temperature,
        )


def log_ratio(ratio: Array) -> Array:
    """Ln of a ratio, carried on straight below 0.3, so that a search can come back from a motor that gives nothing.

    :param ratio: of any shape; may be nought or below. Source: definition; the straight end our judgement.
    """
    low = 0.3
    return np.where(ratio > low, np.log(np.maximum(ratio, low)), np.log(low) + (ratio - low) / low)


def meter_sd(quantity: str, accuracies: Accuracies = ()) -> float:
    """Standard deviation of a meter's own error, as a share of the reading.

    :param quantity: by its name. :param accuracies: as the meters at hand say them, else table ``meter_accuracy``. Source:
    that table; what a meter is said to keep is taken for 95 %, our judgement.
    """
    row = find_row("meter_accuracy", quantity=quantity)
    return dict(accuracies).get(row["meter"], float(row["relative"])) / COVERAGE_95
