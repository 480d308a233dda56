"""Electronic motors: efficiency by published classes and by what the own catalogue prints, and where their losses go."""

from __future__ import annotations

import csv
import itertools
from importlib.resources import files

import numpy as np
import pytest

from modest_rotor.core.entry import read_entry
from modest_rotor.core.physics.electronic import (
    ElectronicMotor,
    losses_w,
    rated_losses,
    typical_efficiency,
    typical_standby_w,
)
from modest_rotor.core.standards.motors import iec_class_efficiency

POWERS = np.geomspace(10, 15000, 40)


@pytest.mark.parametrize(("phases", "electronics"), [(1, 0.95), (3, 0.965)])
@pytest.mark.parametrize("kilowatts", [0.12, 0.18, 0.25, 0.37, 0.55, 0.75, 1.1, 1.5, 3.0])
def test_full_load_efficiency_is_that_of_class_ie4_less_its_electronics(
    phases: int, electronics: float, kilowatts: float
) -> None:
    """IEC 60034-30-1:2014, IE4, four poles, 50 Hz; what the electronics pass on is common practice. To 1.5 points, to which the
    table is rounded."""
    expected = electronics * iec_class_efficiency("IE4", 4, 1000 * kilowatts)
    assert typical_efficiency(1000 * kilowatts, phases) == pytest.approx(expected, abs=0.015)


def test_an_unnamed_motor_promises_no_more_than_the_catalogue_prints() -> None:
    """Against the nominal efficiency of every electronic motor of the shipped catalogue: under it, and within five points."""
    text = files("modest_rotor.demo").joinpath("catalogue.csv").read_text(encoding="utf-8")
    rows = [
        row
        for row in csv.DictReader(text.splitlines())
        if row["motor_kind"] == "electronic" and row["nominal_efficiency"]
    ]
    motors = [row for row in rows if row["type"] == "motor"]
    assert len(motors) >= 10
    for row in motors:
        watts = read_entry("rated_power", row["rated_power"]).si
        printed = float(row["nominal_efficiency"].removesuffix(" %")) / 100
        assert -0.08 < typical_efficiency(watts) - printed <= 0.005, row["code"]


def test_larger_motors_are_better_and_stay_awake_at_more_watts() -> None:
    for phases in (1, 3):
        values = [typical_efficiency(power, phases) for power in POWERS]
        assert all(later >= before for before, later in itertools.pairwise(values))
        assert 0.5 < values[0] < values[-1] < 0.96
    standby = typical_standby_w(POWERS)
    assert (np.diff(standby) > 0).all() and typical_standby_w(373.0) == pytest.approx(
        3.4, abs=0.1
    )  # sheets print 2 to 4 W


@pytest.mark.parametrize("power", [16.0, 93.0, 373.0, 746.0, 3000.0])
def test_losses_at_rating_make_the_efficiency_and_fall_with_load(power: float) -> None:
    losses = rated_losses(power, 0.75)
    assert power / (power + losses.at(1.0, 1.0)) == pytest.approx(0.75)
    assert losses.whole == pytest.approx(losses.at(1.0, 1.0))
    fan = np.linspace(0.2, 1.0, 9)
    taken = losses.at(fan**2, fan)
    assert (np.diff(taken) > 0).all()
    assert (
        power * 0.2**3 / (power * 0.2**3 + taken[0]) < 0.45
    )  # a fan at a fifth of its speed: the losses are most of it


def test_a_motor_s_named_losses_add_up_to_the_law() -> None:
    motor = ElectronicMotor(373.0, 1200.0, 0.78)
    torque, speed = 0.4 * motor.rated_torque_nm, 700.0
    assert sum(losses_w(motor, torque, speed).values()) == pytest.approx(motor.losses.at(0.4, 700 / 1200))
