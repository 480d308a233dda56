"""The motor fitted to a job's plate and readings: a value that is worked out once and passed in."""

from __future__ import annotations

import hashlib
from dataclasses import dataclass

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import Estimate
from modest_rotor.core.identify.candidate import highest_slip, lacks
from modest_rotor.core.identify.doubt import (
    ORDINARY_COST,
    Suspect,
    chance_of_readings,
    plate_suspects,
    reading_suspects,
    readings_disagree,
)
from modest_rotor.core.identify.fit import FittedMotor, fit_motor
from modest_rotor.core.identify.fitted_load import fitted_methods
from modest_rotor.core.identify.load import LoadByMethod
from modest_rotor.core.identify.meters import RECTANGULAR, Accuracies
from modest_rotor.core.identify.motor import MotorKind, PlateFacts
from modest_rotor.core.identify.next_reading import Measurand, worth
from modest_rotor.core.identify.rows import Reading
from modest_rotor.core.outcome import Absent, Waiting, Withheld
from modest_rotor.core.physics.induction import synchronous_speed_rpm
from modest_rotor.core.say import listed, say
from modest_rotor.core.stations.readings import MeasuringPoint, ReadingSet, SpeedTap
from modest_rotor.core.stations.trust import CHOPPED, believed, on_a_drive

LOWER_TAPS = {SpeedTap.MEDIUM: say("motor-fit-lower-taps-medium-tap"), SpeedTap.LOW: say("term-low-tap")}
TACHOMETER_SD_RPM = 0.51
WARM_S = 1200.0
"""Seconds of running after which a small motor's winding is warm. Common practice, no source."""
NO_CHANCE = 1e-7
"""Chance of a disagreement below which a saving is withheld: none was in 440 sound jobs, half of them with plates as the market
prints them (benchmarks/promises.py)."""
ELECTRONIC_REFUSAL = say("motor-fit-electronic-refusal")


@dataclass(frozen=True)
class MotorFit:
    """The fitted motor of a job, or why there is none.

    :param key: names the plate and readings it came from.
    :param bare: fitted to the plate and the speeds alone; a new motor of the same plate is as uncertain.
    :param full: fitted to every reading.
    :param loads: the load of each set of readings by every way through the fitted motor, by the set's id; the last of them
        uses all readings.
    :param refusal: why the plate was not fitted, when it was not.
    :param suspects: what, taken as wrong, would let plate and readings agree; empty while they do.
    """

    key: str
    bare: FittedMotor | None = None
    full: FittedMotor | None = None
    loads: tuple[tuple[str, tuple[LoadByMethod, ...]], ...] = ()
    refusal: Absent | None = None
    suspects: tuple[Suspect, ...] = ()

    def load_of(self, set_id: str) -> tuple[LoadByMethod, ...]:
        """The ways of one set; empty where it says nothing of the motor."""
        return dict(self.loads).get(set_id, ())

    def worth_of_next(self, set_id: str) -> dict[Measurand, tuple[Estimate, Estimate]]:
        """Shaft power now and after each reading that one set still lacks, W; empty where nothing is fitted to the set.

        Source: :func:`identify.next_reading.worth`.
        """
        places = [name for name, _ in self.loads]
        if self.full is None or set_id not in places:
            return {}
        place = places.index(set_id)
        return worth(self.full, place, self.full.agreement.readings[place])

    @property
    def plate_is_doubtful(self) -> bool:
        """Whether the plate in itself is one that nobody prints."""
        return self.bare is not None and self.bare.cost > ORDINARY_COST

    @property
    def fits_nothing(self) -> bool:
        """Whether the readings lie so far from any motor of the plate that nothing may be counted on them."""
        return bool(self.full and self.bare and chance_of_readings(self.full, self.bare) < NO_CHANCE)

    @property
    def readings_disagree(self) -> bool:
        """Whether the readings do not go with the plate's motor."""
        return bool(self.full and self.bare and readings_disagree(self.full, self.bare))


MotorReadings = tuple[tuple[str, Reading], ...]
"""What sets say of the motor, each with the id of its set."""


def motor_readings(plate: PlateFacts, sets: tuple[ReadingSet, ...], accuracies: Accuracies = ()) -> MotorReadings:
    """The sets that say something of the motor, as readings of a fit, each with its id."""
    found = []
    for number, read in enumerate(sets, 1):
        if other_speed(read, plate):
            continue  # another winding, or the same one joined to more poles: it teaches nothing of the high speed
        reading = _reading(plate, believed(read, plate)[0], number, accuracies)
        if reading is not None:
            found.append((read.id, reading))
    return tuple(found)


def other_speed(read: ReadingSet, plate: PlateFacts) -> bool:
    """Whether a set was taken on the low speed of a motor that is switched between two: a three-phase motor has no taps."""
    return plate.kind is MotorKind.THREE_PHASE and read.tap in LOWER_TAPS


def fit_key(plate: PlateFacts, named: MotorReadings) -> str:
    """A name for a plate and its readings, by all that a fit is handed: what has the same name has the same fit."""
    return hashlib.sha256(repr((plate, named)).encode()).hexdigest()[:16]


def fit_motor_of(plate: PlateFacts, named: MotorReadings) -> MotorFit:
    """Fit the motor of a plate to what was read; where it cannot be fitted, say why.

    :param named: as :func:`motor_readings` gives them.
    """
    key = fit_key(plate, named)
    if plate.is_electronic:
        return MotorFit(key, refusal=Withheld(ELECTRONIC_REFUSAL))
    lacking = lacks(plate)
    if lacking:
        return MotorFit(key, refusal=Waiting(say("motor-fit-fit-motor-of", lacking=listed(lacking))))
    readings = tuple(reading for _, reading in named)
    try:
        bare = fit_motor(plate, tuple(_speed_alone(reading) for reading in readings))
        full = fit_motor(plate, tuple(_sound(reading) for reading in readings)) if readings else bare
    except OutsideValidity as refusal:
        return MotorFit(key, refusal=Withheld(refusal.sentence))
    loads = tuple((set_id, fitted_methods(bare, full, place, reading)) for place, (set_id, reading) in enumerate(named))
    fit = MotorFit(key, bare, full, loads)
    suspects: tuple[Suspect, ...] = ()
    if fit.plate_is_doubtful:
        suspects = plate_suspects(plate)
    elif fit.readings_disagree:
        suspects = reading_suspects(plate, tuple(_sound(reading) for reading in readings))
    return MotorFit(key, bare, full, loads, suspects=suspects)


def _reading(plate: PlateFacts, read: ReadingSet, number: int, accuracies: Accuracies) -> Reading | None:
    speed = read.speed.si if read.speed else None
    if plate.frequency_hz is None or plate.rated_voltage_v is None or plate.poles is None:
        return None
    hertz = read.frequency.si if read.frequency else plate.frequency_hz
    if (on_a_drive(read) and read.frequency is None) or (
        read.point in (*CHOPPED, MeasuringPoint.DRIVE_INPUT) and read.voltage is None
    ):
        return None
    synchronous = synchronous_speed_rpm(hertz, plate.poles)
    if speed is not None and not 0 < speed < synchronous:
        return None
    if speed is not None and is_below_switch(plate, speed):
        return None
    current, watts = (entry.si if entry and entry.si > 0 else None for entry in (read.current, read.input_power))
    if speed is None and current is None and watts is None:
        return None
    voltage = read.voltage.si if read.voltage and read.voltage.si > 0 else plate.rated_voltage_v
    return Reading(
        name=f"set {number}",
        voltage=voltage,
        frequency=hertz,
        tap=LOWER_TAPS.get(read.tap) if read.tap else None,
        speed=speed,
        current=current,
        input_power=watts,
        speed_sd=(TACHOMETER_SD_RPM**2 + ((read.speed.resolution if read.speed else 0.0) / RECTANGULAR) ** 2) ** 0.5,
        current_sd=(read.current.resolution if read.current else 0.0) / RECTANGULAR,
        input_sd=(read.input_power.resolution if read.input_power else 0.0) / RECTANGULAR,
        capacitor_voltage=read.run_capacitor_volts.si if read.run_capacitor_volts else None,
        warm=read.running is None or read.running.si >= WARM_S,
        regulated=read.tap is SpeedTap.REGULATED,
        accuracies=accuracies,
    )


def is_below_switch(plate: PlateFacts, speed_rpm: float) -> bool:
    """Whether a motor with a start switch turns so slowly that its start winding is on, which no plate tells of."""
    synchronous = plate.synchronous_speed_rpm
    return bool(synchronous) and 1 - speed_rpm / (synchronous or 1.0) > highest_slip(plate)


def _speed_alone(reading: Reading) -> Reading:
    return reading.with_only_speed()


def _sound(reading: Reading) -> Reading:
    """Behind a regulator the waveform is cut and volts are doubtful: such a set teaches nothing of the motor itself."""
    return reading.with_only_speed() if reading.regulated else reading
