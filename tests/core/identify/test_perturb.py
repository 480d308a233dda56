"""One thing changed: every reading's direction and size. Directions of the trade are common practice, no source."""

from __future__ import annotations

from dataclasses import replace

import numpy as np
import pytest

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.identify.perturb import (
    Change,
    Direction,
    Measurand,
    Setup,
    perturbed,
    ratios,
    shifts,
    usual_size,
)
from modest_rotor.core.physics.electronic import Command, ElectronicMotor
from modest_rotor.core.physics.fan import MachineType
from modest_rotor.core.physics.load import Belt
from modest_rotor.core.physics.operating_point import Condition, InductionMotor
from tests.machines import BLOWER, PUMP, blower_load, fan_load, fitted, rated

UP, DOWN, STILL = Direction.UP, Direction.DOWN, Direction.STILL


def blower(motor: InductionMotor) -> Setup:
    return Setup(motor, rated(BLOWER), blower_load())


def directions(change: Change) -> dict[Measurand, Direction]:
    fit = fitted(BLOWER)
    moved, _ = shifts(fit.family, fit.estimates, blower, change)
    return {measurand: shift.direction for measurand, shift in moved.items()}


@pytest.mark.parametrize(
    ("change", "expected"),
    [
        (Change.TIGHTER, {Measurand.SPEED: UP, Measurand.AMPS: DOWN, Measurand.WATTS: DOWN, Measurand.FLOW: DOWN, Measurand.PRESSURE: UP}),
        (Change.FILTER_OUT, {Measurand.SPEED: DOWN, Measurand.WATTS: UP, Measurand.FLOW: UP, Measurand.PRESSURE: DOWN}),
        (Change.MORE_OPEN, {Measurand.SPEED: DOWN, Measurand.WATTS: UP, Measurand.FLOW: UP}),
        (Change.CAPACITOR_WEAK, {Measurand.SPEED: DOWN, Measurand.AMPS: UP, Measurand.FLOW: DOWN}),
        (Change.CAPACITOR_DEAD, {Measurand.SPEED: DOWN, Measurand.AMPS: UP, Measurand.FLOW: DOWN}),
        (Change.VOLTS_LOW, {Measurand.SPEED: DOWN, Measurand.FLOW: DOWN, Measurand.CAPACITOR_VOLTS: DOWN}),
        (Change.DRAG, {Measurand.SPEED: DOWN, Measurand.WATTS: UP, Measurand.FLOW: DOWN, Measurand.PRESSURE: DOWN}),
        (Change.FOULED, {Measurand.SPEED: UP, Measurand.AMPS: DOWN, Measurand.WATTS: DOWN, Measurand.FLOW: DOWN, Measurand.PRESSURE: DOWN}),
        (Change.OTHER_TAP, {Measurand.SPEED: DOWN, Measurand.AMPS: DOWN, Measurand.WATTS: DOWN, Measurand.FLOW: DOWN}),
        (Change.BELT_SLIPS, {Measurand.SPEED: UP, Measurand.WATTS: DOWN, Measurand.FLOW: DOWN, Measurand.PRESSURE: DOWN}),
        (Change.THIN_AIR, {Measurand.SPEED: UP, Measurand.WATTS: DOWN, Measurand.PRESSURE: DOWN, Measurand.FLOW: UP}),
    ],
)  # fmt: skip
def test_which_way_the_readings_of_a_capacitor_blower_move(
    change: Change, expected: dict[Measurand, Direction]
) -> None:
    """Forward-curved wheel, ten per cent of slip."""
    told = directions(change)
    assert {measurand: told[measurand] for measurand in expected} == expected


def test_a_motor_that_lost_its_capacitor_runs_on_but_does_not_start() -> None:
    fit = fitted(BLOWER)
    assert shifts(fit.family, fit.estimates, blower, Change.CAPACITOR_DEAD)[1] is Condition.WILL_NOT_START


def test_the_uncertainties_come_from_the_cloud_and_hold_the_size() -> None:
    """A tenth of the volts moves this blower's speed by 4 to 8 %; a better known motor has a narrower uncertainty."""
    fit = fitted(BLOWER)
    moved, _ = shifts(fit.family, fit.estimates, blower, Change.VOLTS_LOW)
    speed = moved[Measurand.SPEED].ratio
    assert -0.09 < speed.value < -0.02 and 0 < speed.uncertainty < 0.06
    certain = tuple(replace(number, contributions={}) for number in fit.estimates)
    assert shifts(fit.family, certain, blower, Change.VOLTS_LOW)[0][Measurand.SPEED].ratio.uncertainty == 0


@pytest.mark.parametrize(
    ("command", "value", "speed", "watts"),
    [(Command.TORQUE, 0.4, 1, 1), (Command.AIRFLOW, 0.45, 1, 1), (Command.SPEED, 1500.0, 0, -1)],
)
def test_an_electronic_motor_moves_as_it_is_commanded(command: Command, value: float, speed: int, watts: int) -> None:
    setup = Setup(
        ElectronicMotor(400.0, 1720.0),
        rated(BLOWER),
        fan_load(170.0, 1720.0, MachineType.FORWARD_CURVED),
        command,
        value,
    )
    moved = ratios(setup, Change.TIGHTER)
    assert np.sign(np.round(moved[Measurand.SPEED], 9)) == speed and np.sign(moved[Measurand.WATTS]) == watts
    assert Measurand.CAPACITOR_VOLTS not in moved


def test_a_belt_that_slips_more_slows_the_machine_and_lets_the_motor_go() -> None:
    load = replace(fan_load(1400.0, 1440.0), belt=Belt(ratio=1.0, slip=0.01))
    setup = Setup(fitted(PUMP).motor, rated(PUMP), load)
    after = perturbed(setup, Change.BELT_SLIPS)
    assert after.load.belt.slip == pytest.approx(1 - 0.99 * 0.95)
    moved = ratios(setup, Change.BELT_SLIPS)
    assert moved[Measurand.SPEED] > 0 and moved[Measurand.FLOW] == pytest.approx(-0.048, abs=0.004)


def test_thin_air_at_one_speed_is_the_affinity_law() -> None:
    """A speed-commanded motor: pressure and shaft power with density, flow unchanged. AMCA 201."""
    setup = Setup(ElectronicMotor(400.0, 1720.0), rated(BLOWER), fan_load(170.0, 1720.0), Command.SPEED, 1400.0)
    moved = ratios(setup, Change.THIN_AIR, 0.8)
    assert moved[Measurand.FLOW] == pytest.approx(0, abs=1e-9) and moved[Measurand.PRESSURE] == pytest.approx(-0.2)


def test_what_a_motor_does_not_have_cannot_change() -> None:
    for motor, facts in ((fitted(PUMP).motor, PUMP), (ElectronicMotor(400.0, 1720.0), BLOWER)):
        with pytest.raises(OutsideValidity, match="capacitor"):
            perturbed(Setup(motor, rated(facts), blower_load()), Change.CAPACITOR_WEAK)


def test_every_change_has_its_usual_size() -> None:
    assert all(0 <= usual_size(change) < 2 for change in Change if change is not Change.CLOSED)
