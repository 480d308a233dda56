"""Do plate, readings and machine belong together, and if not, what is the likeliest suspect?"""

from __future__ import annotations

import math
from collections.abc import Iterator
from dataclasses import dataclass, replace

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.identify.fit import FittedMotor, fit_motor
from modest_rotor.core.identify.motor import MotorKind, PlateFacts
from modest_rotor.core.identify.rows import Reading
from modest_rotor.core.say import Number, say

ORDINARY_COST = 9.5
"""Cost of a plate fit that nearly all sound plates stay under. Our own study, benchmarks/promises.py."""
SMALLEST_CHANCE, SMALLEST_CHANCE_OF_ONE = 0.003, 0.02
"""Chance below which readings are said to disagree with the plate's motor; the second where one row alone was added. Amps
and watts of one reading stray from the equations together, so several rows are believed less. Chosen on our own study and
looked at again on fresh cases, docs/how-good.md."""
FARTHEST_MISFIT = 2.1
"""Standard deviations between motor and machine beyond which they are said to disagree."""
ROUGH_ROUNDS = 7
"""Rounds of the search that tell a likely suspect from an unlikely one."""
MOST_SUSPECTS = 6
"""Sets that are tried as wrong, the worst fitting first. Our judgement, no source."""
MOST_HELD_TOGETHER = 12
"""Sets that are held against each other to find which is wrong: each trial is a fit to all of them."""
FREED = 1.5
"""Cost by which a suspect must relieve a fit to be named. Our judgement, no source."""


WITH_TAPS = (MotorKind.SPLIT_CAPACITOR, MotorKind.SHADED_POLE)
"""Induction motors whose speed is set by taps. Common practice, no source."""


@dataclass(frozen=True)
class Suspect:
    """Something that, taken as wrong, lets the rest agree.

    :param field: the field to look at again, as the plate or a reading names it.
    :param sentence: what may be the matter.
    :param relief: by how much the disagreement falls, in units of the fit's cost.
    """

    field: str
    sentence: str
    relief: float


def chance_of_readings(fit: FittedMotor, bare: FittedMotor) -> float:
    """Chance of a disagreement between the plate's motor and its readings as large as this one, 0 to 1.

    :param fit: fitted to plate and all readings.
    :param bare: fitted to the plate and the speeds alone.

    Twice the rise of the cost is chi-squared with as many degrees of freedom as rows were added. Source: likelihood ratio;
    S. S. Wilks, Ann. Math. Stat. 9 (1938).
    """
    added = len(fit.residuals) - len(bare.residuals)
    return chi_square_tail(2 * max(fit.cost - bare.cost, 0.0), added) if added > 0 else 1.0


def chi_square_tail(square: float, freedom: int) -> float:
    """Chance that a chi-squared variable exceeds ``square``.

    :param freedom: degrees of freedom, 1 or more. Source: M. Abramowitz and I. Stegun, Handbook of Mathematical Functions, 26.4.
    """
    half = square / 2
    if freedom % 2:
        tail, term, start = math.erfc(math.sqrt(half)), math.exp(-half) * math.sqrt(half) / math.gamma(1.5), 1.5
    else:
        tail, term, start = math.exp(-half), math.exp(-half) * half, 2.0
    steps = (freedom - 1) // 2
    for step in range(steps):
        tail, term = tail + term, term * half / (start + step)
    return min(tail, 1.0)


def disagrees(fit: FittedMotor, bare: FittedMotor, misfit: float) -> bool:
    """Whether plate, readings and machine are said to disagree: the plate in itself, the readings with it, or the machine.

    :param misfit: standard deviations between motor and machine side, 0 where only one is known.
    """
    return bare.cost > ORDINARY_COST or readings_disagree(fit, bare) or misfit > FARTHEST_MISFIT


def readings_disagree(fit: FittedMotor, bare: FittedMotor) -> bool:
    """Whether the readings are less likely than chance allows, given the plate. Arguments as :func:`chance_of_readings`."""
    one = len(fit.residuals) - len(bare.residuals) == 1
    return chance_of_readings(fit, bare) < (SMALLEST_CHANCE_OF_ONE if one else SMALLEST_CHANCE)


def plate_suspects(plate: PlateFacts) -> tuple[Suspect, ...]:
    """The plate's fields that, read otherwise, would make it a plate that somebody prints; the likeliest first.

    :param plate: one that a fit finds implausible.
    """
    worst = fit_motor(plate).cost
    found = []
    for field, sentence, other in _other_plates(plate):
        try:
            relief = worst - fit_motor(other, most_rounds=ROUGH_ROUNDS).cost
        except OutsideValidity:
            continue
        if relief > FREED:
            found.append(Suspect(field, sentence, relief))
    return tuple(sorted(found, key=lambda suspect: -suspect.relief))


def reading_suspects(plate: PlateFacts, readings: tuple[Reading, ...]) -> tuple[Suspect, ...]:
    """The readings, or facts of the motor, that taken as wrong let the rest agree; the likeliest first."""
    if len(readings) > MOST_HELD_TOGETHER:  # of many sets the worst fitting are held against each other
        readings = _worst(fit_motor(plate, readings), readings, MOST_HELD_TOGETHER)
    whole = fit_motor(plate, readings)
    worst = whole.cost
    found = []
    suspects = frozenset(reading.name for reading in _worst(whole, readings, MOST_SUSPECTS))
    for field, sentence, other_plate, others in _other_readings(plate, readings, suspects):
        # A reading left out takes its own row along: what it is relieved of beyond that is what counts.
        relief = worst - fit_motor(other_plate, others, most_rounds=ROUGH_ROUNDS).cost
        if relief > FREED:
            found.append(Suspect(field, sentence, relief))
    return tuple(sorted(found, key=lambda suspect: -suspect.relief))


def _worst(fit: FittedMotor, readings: tuple[Reading, ...], most: int) -> tuple[Reading, ...]:
    """The sets that fit worst, in the order in which they were read."""

    def misfit(reading: Reading) -> float:
        named = zip(fit.agreement.names, fit.residuals, strict=False)
        return float(sum(row**2 for name, row in named if name.endswith(f", {reading.name}")))

    worst = sorted(readings, key=lambda reading: -misfit(reading))[:most]
    return tuple(reading for reading in readings if reading in worst)


def _other_plates(plate: PlateFacts) -> Iterator[tuple[str, str, PlateFacts]]:
    assert plate.rated_power_w and plate.rated_speed_rpm and plate.frequency_hz
    if plate.rated_current_a:
        for factor, words in (
            (0.5, say("doubt-double")),
            (2.0, say("doubt-half")),
            (10.0, say("doubt-other-plates-tenth")),
            (0.1, say("doubt-other-plates-ten-times")),
        ):
            yield (
                "rated_current",
                say("doubt-other-plates-amps-read", words=words),
                replace(plate, rated_current_a=plate.rated_current_a * factor),
            )
        yield "rated_current", say("doubt-other-plates-amps-do"), replace(plate, rated_current_a=None)
    for factor, words in (
        (0.5, say("doubt-double")),
        (2.0, say("doubt-half")),
        (0.1, say("doubt-other-plates-ten-times")),
        (10.0, say("doubt-other-plates-tenth")),
    ):
        yield (
            "rated_power",
            say("doubt-other-plates-power-reads", words=words),
            _with_power(plate, plate.rated_power_w * factor),
        )
    for volts in (115.0, 230.0, 277.0, 400.0, 460.0):
        if plate.rated_voltage_v and not 0.85 < volts / plate.rated_voltage_v < 1.18:
            yield (
                "rated_voltage",
                say("doubt-other-plates-v-motor", volts=Number(volts, ".0f")),
                replace(plate, rated_voltage_v=volts),
            )
    if plate.run_capacitance_f:
        for factor in (0.1, 10.0):
            yield (
                "run_capacitance",
                say("doubt-other-plates-capacitor-s"),
                replace(plate, run_capacitance_f=plate.run_capacitance_f * factor),
            )
        yield "run_capacitance", say("doubt-other-plates-capacitor-does"), replace(plate, run_capacitance_f=None)


def _with_power(plate: PlateFacts, power: float) -> PlateFacts:
    assert plate.rated_speed_rpm
    return replace(plate, rated_power_w=power, rated_torque_nm=power / (plate.rated_speed_rpm * math.pi / 30))


def _other_readings(
    plate: PlateFacts, readings: tuple[Reading, ...], suspects: frozenset[str]
) -> Iterator[tuple[str, str, PlateFacts, tuple[Reading, ...]]]:
    for place, reading in enumerate(readings):
        if reading.name not in suspects:
            continue
        for field, without, sentence in (
            ("speed", replace(reading, speed=None), say("doubt-other-readings-speed-may")),
            ("current", replace(reading, current=None), say("doubt-other-readings-amps-may")),
            ("input_power", replace(reading, input_power=None), say("doubt-other-readings-watts-may")),
        ):
            if getattr(reading, field) is not None:
                yield f"{reading.name}/{field}", sentence, plate, _swap(readings, place, without)
        if plate.kind in WITH_TAPS:
            other = None if reading.tap else say("term-low-tap")
            words = say("doubt-other-readings-high-tap") if reading.tap else say("doubt-other-readings-lower-tap")
            yield (
                say("doubt-other-readings-tap", reading=reading.name),
                say("doubt-other-readings-may-run", words=words),
                plate,
                _swap(readings, place, replace(reading, tap=other)),
            )
    if plate.kind is MotorKind.SPLIT_CAPACITOR and plate.run_capacitance_f:
        free = replace(plate, run_capacitance_f=None)
        yield "run_capacitance", say("doubt-other-readings-run-capacitor"), free, readings


def _swap(readings: tuple[Reading, ...], place: int, reading: Reading) -> tuple[Reading, ...]:
    return (*readings[:place], reading, *readings[place + 1 :])
