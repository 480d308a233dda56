"""Rigs from a job or the catalogue: the job's own numbers come back, and what is missing is said in words."""

from __future__ import annotations

from dataclasses import replace

import pytest

from modest_rotor.core.assess import build_case
from modest_rotor.core.bench.rigs import on_a_drive, stand_of_machine, stand_of_product
from modest_rotor.core.bench.run import meters, settled
from modest_rotor.core.bench.shipped import LINE_FAN, stand_called, stands
from modest_rotor.core.bench.stand import Controls, Stand
from modest_rotor.core.entry import read_entry
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.job import Job
from modest_rotor.core.outcome import Withheld
from modest_rotor.core.physics.fan import MachineType
from modest_rotor.core.stations.product import Product
from tests.core.setup.test_setup_answer import BAGGAGE
from tests.said import refused_with


def rig_of(job: Job) -> Stand:
    case = build_case(job)
    return stand_of_machine(job.machine.name, case.machine or case.found, case.fit.refusal)


def test_the_rig_of_a_job_runs_where_the_job_was_read() -> None:
    """Reference: the readings of the job; the tolerance is that of a motor fitted to them, some per cent."""
    job = Job.model_validate(BAGGAGE)
    case = build_case(job)
    assert case.machine is not None
    rig = rig_of(job)
    ready, state = settled(rig, Controls(volts=case.machine.volts.value / rig.volts))
    shown = meters(ready, state)
    assert shown.speed_rpm == pytest.approx(case.machine.speed.value, rel=0.02)
    assert shown.input_w == pytest.approx(case.machine.input_power.value, rel=0.08)


def test_a_job_without_a_machine_is_refused_in_words() -> None:
    bare = Job.model_validate({**BAGGAGE, "document": {}})
    with refused_with(OutsideValidity, "rigs-stand-of-machine"):
        rig_of(bare)


def test_a_job_whose_fit_failed_is_refused_with_the_reason() -> None:
    machine = build_case(Job.model_validate(BAGGAGE)).machine
    assert machine is not None
    with pytest.raises(OutsideValidity, match="could not be fitted: its plate denies itself"):
        stand_of_machine("x", replace(machine, fit=None), Withheld("its plate denies itself."))


def product(**more: object) -> Product:
    entries = {"rated_power": "1/2 hp", "rated_voltage": "230 V", "frequency": "60 Hz", "rated_speed": "1075 rpm"}
    typed = {name: read_entry(name, text, "si") for name, text in entries.items()}
    typed |= {
        "rated_current": read_entry("rated_current", "3.2 A", "si"),
        "run_capacitance": read_entry("capacitance", "7.5 µF", "si"),
    }
    return Product.model_validate(
        {"code": "one", "type": "motor", "name": "A motor", "motor_kind": "split-capacitor", **typed, **more}
    )


@pytest.mark.parametrize("machine_type", MachineType)
def test_a_motor_of_the_catalogue_takes_nine_tenths_on_its_wheel(machine_type: MachineType) -> None:
    rig = stand_of_product(product(), machine_type)
    shaft = float(rig.as_built.motor.shaft_power_w)
    assert shaft == pytest.approx(0.9 * 372.8, rel=0.08)
    assert rig.notes and rig.has_capacitor


def test_what_makes_no_motor_is_refused_in_words() -> None:
    with refused_with(OutsideValidity, "rigs-stand-of-product-motor-can"):
        stand_of_product(product(motor_kind=None), MachineType.AXIAL)
    with refused_with(OutsideValidity, "rating-product-facts"):
        stand_of_product(product(frequency=None), MachineType.AXIAL)
    with refused_with(OutsideValidity, "shipped-stand-called"):
        stand_called("a rocket")


def test_every_drive_of_the_bench_can_feed_its_motor() -> None:
    """A drive is chosen by the motor's amps: at full load it neither trips nor idles (common practice, no source)."""
    driven = {name: stand for name, stand in stands().items() if stand.drive is not None}
    assert len(driven) >= 2
    for name, stand in driven.items():
        at, drive = stand.as_built, stand.drive
        assert drive is not None
        assert 1.0 <= drive.rated_current_a / float(at.motor.current_a) < 2.2, name
        assert 1.0 <= drive.rated_power_w / float(at.motor.shaft_power_w) < 2.2, name
        assert (drive.base_frequency_hz, drive.base_voltage_v) == (stand.hertz, stand.volts), name
    line = stands()[LINE_FAN]
    put = on_a_drive(line).drive
    assert put is not None
    built = line.as_built.motor
    assert put.rated_power_w == pytest.approx(1.1 * float(built.shaft_power_w))
    assert put.rated_current_a == pytest.approx(1.2 * float(built.current_a))


def test_a_drive_is_put_before_three_phase_motors_alone() -> None:
    fan = on_a_drive(stands()["three-phase fan"])
    assert fan.drive is not None and "on a drive" in fan.name
    for name in ("capacitor blower", "electronic blower", "blower with a start switch", "three-phase fan on a drive"):
        with refused_with(OutsideValidity, "rigs-on-a-drive"):
            on_a_drive(stands()[name])
