"""Writes to devices: kept before they are sent, looked up after a crash; a stop that is always allowed; authorisation by a steady clock."""

# ruff: noqa: F811  (fixtures of another file are named as arguments)
from __future__ import annotations

import socket
import time
from datetime import UTC, datetime, timedelta
from typing import Any

import psycopg
import pytest
from fastapi.testclient import TestClient
from peewee import OperationalError

from modest_rotor.devices import writing
from modest_rotor.devices.intents import close_open_writes
from modest_rotor.fieldbus.client import OWN_PORTS, TIMEOUT_S
from modest_rotor.fieldbus.profile import Role
from modest_rotor.fieldbus.simulated import SimulatedDevices, Trouble
from modest_rotor.store import devices
from modest_rotor.store.database import with_connection
from modest_rotor.store.devices import Written
from modest_rotor.store.models import WriteAuthorisationRow, WrittenRow
from tests.api.test_setup import Desk, hall, machine_time, plants  # noqa: F401
from tests.running import free_port
from tests.said import says

pytestmark = [pytest.mark.database, pytest.mark.slow]
DRIVE = "Hall supply fan, drive"


def number_of(client: TestClient, name: str) -> int:
    return next(one["id"] for one in client.get("/api/devices").json() if one["name"] == name)


def written_rows() -> list[Any]:
    return with_connection(lambda: list(WrittenRow.select().order_by(WrittenRow.id)))()


def lose_the_database(*_: Any) -> None:
    raise OperationalError(psycopg.OperationalError("the server went away"))


@pytest.fixture
def real(hall: Desk, plants: SimulatedDevices, monkeypatch: pytest.MonkeyPatch) -> Desk:
    """The hall's drive as if it were no simulated device."""
    for module in ("modest_rotor.devices.writing", "modest_rotor.api.setup", "modest_rotor.api.devices"):
        monkeypatch.setattr(f"{module}.simulated_device_of", lambda _: None)
    return hall


def test_a_write_is_kept_before_it_is_sent(hall: Desk, monkeypatch: pytest.MonkeyPatch) -> None:
    found: list[tuple[int, bool]] = []
    link = writing.LINKS.link(with_connection(devices.device_named)(DRIVE))
    plain = link.write

    def looking(role: Role, value: float) -> float:
        found.append((len(written_rows()), written_rows()[-1].ended))
        return plain(role, value)

    monkeypatch.setattr(link, "write", looking)
    plan = hall.post("setup/plan", what="settings")
    hall.post("setup/writes", what="settings", digest=plan["digest"], who="Ann")
    assert found and all(place == count and not ended for place, (count, ended) in enumerate(found, 1))
    assert all(row.ended for row in written_rows())


def test_where_it_cannot_be_kept_nothing_is_sent(
    hall: Desk, plants: SimulatedDevices, monkeypatch: pytest.MonkeyPatch
) -> None:
    plan = hall.post("setup/plan", what="settings")
    before = {line["role"]: line["before_si"] for line in plan["lines"]}
    monkeypatch.setattr(writing, "begin_write", lose_the_database)
    answer = hall.post("setup/writes", what="settings", digest=plan["digest"], who="Ann")
    assert not answer["agrees"] and any(
        says("writing-carry-out-sent-written", one["sentence"]) for one in answer["outcomes"]
    )
    monkeypatch.undo()
    assert {line["role"]: line["before_si"] for line in hall.post("setup/plan", what="settings")["lines"]} == before


def test_a_database_that_dies_after_the_write_is_told_and_the_record_is_made_good(
    hall: Desk,
    plants: SimulatedDevices,
    monkeypatch: pytest.MonkeyPatch,
) -> None:
    """The device was written; the answer may not say that nothing was, and no write goes without its record."""
    plan = hall.post("setup/plan", what="settings")
    monkeypatch.setattr(writing, "end_write", lose_the_database)
    answer = hall.post("setup/writes", what="settings", digest=plan["digest"], who="Ann")
    assert not answer["agrees"]
    told = next(one["sentence"] for one in answer["outcomes"] if "written down" in one["sentence"])
    assert says("writing-not-recorded", told)
    monkeypatch.undo()
    (row,) = [row for row in written_rows() if not row.ended]
    assert row.outcome == devices.NOT_KNOWN_YET
    assert with_connection(close_open_writes)() == 0
    (ended,) = [one for one in written_rows() if one.id == row.id]
    assert (
        ended.ended
        and ended.after == pytest.approx(ended.wanted, rel=1e-3)
        and says("intents-looked-up-application-cut", ended.outcome)
    )


def test_a_write_whose_device_is_silent_stays_open_until_it_answers(hall: Desk, plants: SimulatedDevices) -> None:
    kept = with_connection(devices.device_named)(DRIVE)
    number = with_connection(devices.begin_write)(kept, None, Written("low_limit", 1, 20.0, 33.0, None, ""), "Ann")
    simulated_device = next(one for one in plants.devices if one.name == DRIVE)
    simulated_device.trouble = Trouble.SILENT
    assert with_connection(close_open_writes)() == 1
    simulated_device.trouble = Trouble.NONE
    assert with_connection(close_open_writes)() == 0
    assert next(row for row in written_rows() if row.id == number).ended


def test_a_stop_needs_no_authorisation_no_look_and_no_database(
    real: Desk, plants: SimulatedDevices, monkeypatch: pytest.MonkeyPatch
) -> None:
    drive = plants.called("hall-drive")
    drive.write(Role.FREQUENCY_COMMAND, 40.0)
    drive.write(Role.RUN, 1.0)
    assert "needs_authorisation" in real.post("setup/plan", what="settings")
    stopped = real.post("setup/writes", what="stop", digest="", who="Ann")
    assert stopped["agrees"]
    assert [row.role for row in written_rows()] == ["run"]
    drive.write(Role.RUN, 1.0)
    monkeypatch.setattr(writing, "begin_write", lose_the_database)
    again = real.client.post(f"/api/devices/{number_of(real.client, DRIVE)}/stop", json={"who": "Ben"})
    assert again.status_code == 200 and again.json()["agrees"]
    assert says("writing-not-recorded", again.json()["outcomes"][0]["sentence"])


def test_a_stop_of_what_only_measures_says_to_use_its_own(real: Desk) -> None:
    panel = number_of(real.client, "Hall supply fan, meter panel")
    refused = real.client.post(f"/api/devices/{panel}/stop", json={})
    assert refused.status_code == 422 and refused.json()["code"] == "writing-stop-device-nothing-could"


def test_an_authorisation_ends_by_a_clock_that_nobody_sets_back(real: Desk, monkeypatch: pytest.MonkeyPatch) -> None:
    plan = real.post("setup/plan", what="settings")
    authorised = real.post("setup/authorisation", what="settings", digest=plan["digest"], who="Ann", minutes=5)
    assert authorised["authorised_until"]
    drive = number_of(real.client, DRIVE)

    class SetBack(datetime):
        @classmethod
        def now(cls, tz: Any = None) -> datetime:
            return datetime(2020, 1, 1, tzinfo=tz or UTC)

    monkeypatch.setattr(devices, "datetime", SetBack)
    steady = devices._since_boot_s()
    monkeypatch.setattr(devices, "_since_boot_s", lambda: steady + 299.0)
    assert with_connection(devices.authorisations_of)(drive)
    monkeypatch.setattr(devices, "_since_boot_s", lambda: steady + 301.0)
    assert not with_connection(devices.authorisations_of)(drive)
    monkeypatch.setattr(devices, "_since_boot_s", lambda: steady)
    monkeypatch.setattr(devices, "_boot", lambda: "another run of this machine")
    assert not with_connection(devices.authorisations_of)(drive)
    until = with_connection(lambda: WriteAuthorisationRow.select().get().until)()
    assert until - datetime.now(UTC) < timedelta(minutes=6)


def test_what_was_written_to_a_device_that_was_removed_is_still_read(client: TestClient) -> None:
    made = client.post(
        "/api/devices", json={"name": "Old drive", "code": "quay-drive-15", "host": "127.0.0.1", "port": 9}
    )
    number = made.json()["id"]
    kept = with_connection(devices.device)(number)
    write = with_connection(devices.begin_write)(kept, None, Written("run", 1, 0.0, 1.0, None, ""), "Ann")
    with_connection(devices.end_write)(write, 1.0, "written, reads back the same")
    assert client.delete(f"/api/devices/{number}").status_code == 204
    (line,) = client.get(f"/api/devices/{number}/writes").json()
    assert line["who"] == "Ann" and line["ended"] and line["after"] == 1.0


@pytest.mark.parametrize(
    "host", ["0.0.0.1", "0.0.0.0", "255.255.255.255", "8.8.8.8", "169.254.1.1", "224.0.0.1", "100.64.0.1", "::ffff:8.8.8.8", "192.0.2.1"]
)  # fmt: skip
def test_only_this_machine_and_private_networks_are_asked(client: TestClient, host: str) -> None:
    # RFC 1918 and RFC 4193 for what is private.
    profile = client.get("/api/profiles").json()[0]["code"]
    body = {"name": "X", "code": profile, "host": host, "port": 502, "unit": 1}
    assert client.post("/api/devices", json=body).status_code == 422


def test_its_own_port_is_no_device(client: TestClient) -> None:
    OWN_PORTS.add(8420)
    try:
        profile = client.get("/api/profiles").json()[0]["code"]
        body = {"name": "X", "code": profile, "host": "127.0.0.1", "port": 8420, "unit": 1}
        assert client.post("/api/devices", json=body).json()["code"] == "client-address-of-application-s"
    finally:
        OWN_PORTS.clear()


def test_the_answer_does_not_tell_a_shut_door_from_one_that_is_open_to_something_else(client: TestClient) -> None:
    profile = client.get("/api/profiles").json()[0]["code"]
    with socket.socket() as other:
        other.bind(("127.0.0.1", 0))
        other.listen()
        told, waits = [], []
        for name, port in (("open", other.getsockname()[1]), ("shut", free_port())):
            body = {"name": name, "code": profile, "host": "127.0.0.1", "port": port, "unit": 1}
            number = client.post("/api/devices", json=body).json()["id"]
            begun = time.monotonic()
            told.append(client.post(f"/api/devices/{number}/ask").json()["trouble"].replace(str(port), "N"))
            waits.append(time.monotonic() - begun)
    assert told[0] == told[1]
    assert all(wait >= 0.9 * TIMEOUT_S for wait in waits)
