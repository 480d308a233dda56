"""The client against every trouble that a simulated device can make: told in words, never an old value for a fresh one."""

from __future__ import annotations

import socket
import struct
import time
from collections.abc import Iterator

import pytest

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.fieldbus.client import Address, DeviceLink, address_of
from modest_rotor.fieldbus.errors import DeviceRefused, DeviceTrouble, NoAnswer, NotAllowed, OtherDevice
from modest_rotor.fieldbus.profile import Role, shipped_profiles
from modest_rotor.fieldbus.simulated import HOST, SimulatedDevices, Trouble
from tests.fieldbus.running import Running, running
from tests.machine_time import SLOW_MACHINE_S
from tests.said import codes_of, refused_with

FAST_S = 1.0


@pytest.fixture(scope="module")
def plant() -> Iterator[Running]:
    with running() as found:
        yield found


@pytest.fixture(autouse=True)
def well(plant: Running) -> Iterator[None]:
    for device in plant.simulated_devices.devices:
        device.trouble = Trouble.NONE
        device.plant.look()  # what moved the clock is not waited for in the next test
    yield
    plant.let_go()


def test_what_is_on_the_wire_is_modbus_tcp(plant: Running) -> None:
    """Modbus Application Protocol V1.1b3, 6.4, and Messaging on TCP/IP V1.0b, 3.1: MBAP header, function 4, two bytes a register."""
    with socket.create_connection((HOST, plant.drive.port), SLOW_MACHINE_S) as wire:
        wire.sendall(struct.pack(">HHHBBHH", 7, 0, 6, 1, 4, 0, 1))
        answer = wire.recv(64)
    transaction, protocol, length, unit, function, count, value = struct.unpack(">HHHBBBH", answer)
    assert (transaction, protocol, length, unit, function, count) == (7, 0, 5, 1, 4, 2)
    assert value == plant.drive.profile.identity


def test_a_register_that_does_not_exist_is_an_exception_by_the_protocol(plant: Running) -> None:
    """V1.1b3, 7: function plus 0x80, code 2, illegal data address."""
    with socket.create_connection((HOST, plant.drive.port), SLOW_MACHINE_S) as wire:
        wire.sendall(struct.pack(">HHHBBHH", 1, 0, 6, 1, 3, 60_000, 1))
        answer = wire.recv(64)
    assert answer[7] == 0x83 and answer[8] == 2


def test_a_drive_is_told_to_run_and_its_panel_shows_it(plant: Running) -> None:
    link, panel = plant.link(plant.drive), plant.link(plant.panel)
    assert link.write(Role.FREQUENCY_COMMAND, 40.0) == pytest.approx(40.0)
    assert link.write(Role.RUN, 1.0) == 1.0
    plant.clock.now += 60
    read = link.read()
    assert read.values[Role.OUTPUT_FREQUENCY] == pytest.approx(40.0, abs=0.02)
    seen = panel.read().values
    assert seen[Role.SPEED] == pytest.approx(1160, rel=0.03) and seen[Role.AIRFLOW] == pytest.approx(1.69, rel=0.06)
    assert seen[Role.RETURN_STATIC] < 0 < seen[Role.SUPPLY_STATIC]
    link.write(Role.RUN, 0.0)
    plant.clock.now += 60
    assert link.read().values[Role.OUTPUT_FREQUENCY] == 0


def test_a_signal_in_volts_is_a_share_of_speed(plant: Running) -> None:
    link = plant.link(plant.fan)
    link.write(Role.SIGNAL_INPUT, 5.0)
    plant.clock.now += 60
    read = link.read().values
    rated = float(plant.fan.plant.plant.motor.rated_speed_rpm)  # type: ignore[union-attr]
    assert read[Role.SPEED] == pytest.approx(0.5 * rated, rel=0.01)
    assert read[Role.SPEED_COMMAND] == pytest.approx(0.5, abs=0.01)


@pytest.mark.parametrize(
    ("trouble", "kind", "words"),
    [
        (Trouble.SILENT, NoAnswer, "no whole answer"),
        (Trouble.SLOW, NoAnswer, "no whole answer"),
        (Trouble.HALF_A_FRAME, NoAnswer, "no whole answer"),
        (Trouble.BUSY, DeviceRefused, "busy"),
        (Trouble.OTHER_UNIT, NoAnswer, "no whole answer"),
    ],
)
def test_every_trouble_is_told_and_passes(plant: Running, trouble: Trouble, kind: type, words: str) -> None:
    link = plant.link(plant.panel, FAST_S)
    assert Role.SPEED in link.read().values
    plant.panel.trouble = trouble
    for _ in range(2):
        with pytest.raises(kind, match=words):
            link.read()
    plant.panel.trouble = Trouble.NONE
    if trouble is Trouble.SLOW:
        time.sleep(0.1)
    assert Role.SPEED in link.read().values, "it is read again as soon as it answers"


def test_values_outside_the_profile_are_refused_one_by_one(plant: Running) -> None:
    link = plant.link(plant.panel)
    plant.panel.trouble = Trouble.OUTSIDE
    read = link.read()
    assert Role.SPEED not in read.values and "codec-value-of" in codes_of(read.refused[Role.SPEED])
    assert Role.IDENTITY in read.values


def test_a_frozen_panel_repeats_itself_to_the_last_digit(plant: Running) -> None:
    link = plant.link(plant.panel)
    assert link.read().values != link.read().values
    plant.panel.trouble = Trouble.FROZEN
    assert link.read().values == link.read().values


def test_a_device_that_answers_for_another_is_not_used(plant: Running) -> None:
    link = plant.keep(DeviceLink(plant.drive.profile, Address(HOST, plant.panel.port), FAST_S))
    with pytest.raises(OtherDevice, match="says it is 7301"):
        link.read()


def test_nothing_at_the_address_is_told_and_what_was_not_written_is_not_claimed(plant: Running) -> None:
    with socket.socket() as free:
        free.bind((HOST, 0))
        port = free.getsockname()[1]
    link = plant.keep(DeviceLink(plant.drive.profile, Address(HOST, port), FAST_S))
    with refused_with(NoAnswer, "client-connected-nothing-answers-does"):
        link.read()
    with pytest.raises(DeviceTrouble):
        link.write(Role.RUN, 1.0)


def test_a_write_whose_answer_is_lost_is_never_sent_again(plant: Running, monkeypatch: pytest.MonkeyPatch) -> None:
    link = plant.link(plant.drive, FAST_S)
    link.read()
    arrived: list[float] = []
    monkeypatch.setattr(plant.drive, "write", lambda role, value: arrived.append(value))
    plant.drive.trouble = Trouble.LOST
    with refused_with(NoAnswer, "client-write-whether-written"):
        link.write(Role.FREQUENCY_COMMAND, 33.0)
    assert arrived == [pytest.approx(33.0)]


def test_a_device_that_restarts_is_found_again() -> None:
    with running() as found:
        link = found.link(found.drive, FAST_S)
        assert link.read().values[Role.IDENTITY] == 4150
        found.simulated_devices.stop()
        with pytest.raises(NoAnswer):
            link.read()
        found.simulated_devices = SimulatedDevices(found.simulated_devices.devices).start()
        assert link.read().values[Role.IDENTITY] == 4150


def test_only_what_the_profile_lets_be_written_is_written(plant: Running) -> None:
    link = plant.link(plant.drive)
    with pytest.raises(NotAllowed):
        link.write(Role.OUTPUT_FREQUENCY, 10.0)
    with refused_with(OutsideValidity, "codec-words-of"):
        link.write(Role.FREQUENCY_COMMAND, 500.0)


@pytest.mark.parametrize("host", ["127.0.0.1", "10.0.0.8", "192.168.1.40", "172.16.3.2", "::1", "fd00::4"])
def test_loopback_and_private_addresses_may_be_read(host: str) -> None:
    """RFC 1918, RFC 4193, RFC 6890."""
    assert address_of(host, 502).port == 502


@pytest.mark.parametrize(
    "host",
    [
        "8.8.8.8",
        "example.com",
        "0.0.0.0",
        "224.0.0.1",
        "169.254.169.254",
        "2001:4860::8",
        "::ffff:8.8.8.8",
        "",
        "10.0.0.8/x",
    ],
)
def test_no_name_and_no_public_address_is_asked(host: str) -> None:
    with pytest.raises(NotAllowed):
        address_of(host, 502)


def test_ports_and_numbers_outside_the_protocol_are_refused() -> None:
    for port, unit in ((0, 1), (70_000, 1), (502, 248), (502, -1)):
        with pytest.raises(NotAllowed):
            address_of("127.0.0.1", port, unit)


def test_the_shipped_profiles_are_three_and_every_role_has_its_quantity() -> None:
    assert set(shipped_profiles()) == {"gull-panel", "quay-drive-15", "slip-fan-75"}
