"""Set-up over HTTP on simulated devices: signing, balancing, writing with read-back, authorisation, and the sweep."""

from __future__ import annotations

import time
from collections.abc import Callable, Iterator
from typing import Any

import pytest
from fastapi.testclient import TestClient

from modest_rotor.core.job import Job
from modest_rotor.devices import reading, sweep_run
from modest_rotor.devices.links import LINKS
from modest_rotor.devices.simulated_devices import start_simulated_devices, stop_simulated_devices
from modest_rotor.devices.sweep_run import RUNS, stop_all
from modest_rotor.fieldbus.profile import Role
from modest_rotor.fieldbus.simulated import SimulatedDevices, Trouble
from modest_rotor.store.database import with_connection
from modest_rotor.store.jobs import keep_job
from tests.core.setup.test_setup_answer import HALL, WAITING
from tests.jobs import changed
from tests.machine_time import MachineTime, kept_in
from tests.said import says

pytestmark = [pytest.mark.database, pytest.mark.slow]
PATIENCE_S = 240.0
LONGEST_RAMP_S = 60.0
"""Seconds of a simulated machine after which it stands where it was told."""


@pytest.fixture
def machine_time(monkeypatch: pytest.MonkeyPatch) -> MachineTime:
    return kept_in(monkeypatch, reading, sweep_run)


@pytest.fixture
def plants(client: TestClient, machine_time: MachineTime) -> Iterator[SimulatedDevices]:
    yield with_connection(start_simulated_devices)(machine_time)
    stop_all()
    LINKS.close()
    stop_simulated_devices()


class Desk:
    """One job over HTTP, at its newest revision."""

    def __init__(self, client: TestClient, data: dict[str, Any]) -> None:
        self.client = client
        self.id = with_connection(keep_job)(Job.model_validate(data)).id
        self.view: dict[str, Any] = {}
        self.load()

    def load(self) -> dict[str, Any]:
        self.view = self.client.get(f"/api/jobs/{self.id}").json()
        return self.view

    def post(self, to: str, status: int = 200, **body: Any) -> Any:
        answer = self.client.post(f"/api/jobs/{self.id}/{to}", json=body)
        assert answer.status_code == status, answer.text
        return answer.json()

    def does(self, to: str, status: int = 200, **body: Any) -> Any:
        answer = self.post(to, status, **{"revision": self.view["revision"], "who": "Ann", **body})
        if status == 200:
            self.view = answer
        return answer

    def types(self, path: str, text: str) -> None:
        self.does("changes", path=path, text=text, units="si")

    def writes(self, **wanted: Any) -> Any:
        plan = self.post("setup/plan", **wanted)
        return self.post("setup/writes", **wanted, digest=plan["digest"], who="Ann")

    @property
    def setup(self) -> dict[str, Any]:
        return self.load()["assessment"]["setup"]


def until(ready: Callable[[], Any]) -> Any:
    deadline = time.monotonic() + PATIENCE_S
    while time.monotonic() < deadline:
        found = ready()
        if found:
            return found
        time.sleep(0.1)
    raise AssertionError("waited in vain")


@pytest.fixture
def hall(client: TestClient, plants: SimulatedDevices) -> Desk:
    return Desk(client, HALL)


def test_a_step_is_signed_once_and_a_second_signer_sees_the_first(client: TestClient) -> None:
    desk = Desk(client, HALL)
    desk.does("setup/sign", 422, who="", step="isolate")
    first = desk.does("setup/sign", step="isolate", found="panel 2")["document"]["setup"]["signs"][-1]
    assert (first["who"], first["found"], first["state"]) == ("Ann", "panel 2", "done")
    clash = desk.does("setup/sign", 409, who="Bo", step="isolate")
    assert "core-statements-sign-step-signed-step" in clash["codes"]
    again = desk.does("setup/sign", who="Bo", step="isolate", seen=first["id"])
    assert [sign["who"] for sign in again["document"]["setup"]["signs"]] == ["Ann", "Bo"]
    desk.does("changes", 422, path="setup/signs", value=[])
    desk.does("changes", 422, path="setup/signs/s1/who", value="Eve")


def test_a_link_that_does_not_match_cannot_be_signed_nor_left_out(client: TestClient) -> None:
    desk = Desk(client, HALL)
    assert "volts-selector-answer-waits-volts" in desk.does("setup/sign", 422, step="voltage_selector")["codes"]
    desk.types("setup/first_volts", "230 V")
    desk.types("setup/voltage_selector", "400 V")
    assert (
        "setup-steps-refusal-to-sign-stop-stands-step" in desk.does("setup/sign", 422, step="voltage_selector")["codes"]
    )
    assert (
        "setup-steps-never-left-out-voltage-selector"
        in desk.does("setup/sign", 422, step="voltage_selector", state="not-needed")["codes"]
    )
    desk.types("setup/first_volts", "402 V")
    desk.types("setup/second_volts", "401 V")
    first = desk.does("setup/sign", 422, step="voltage_selector")
    assert "setup-steps-refusal-to-sign-first-step" in first["codes"] and " 2" in first["sentence"]
    for step in ("isolate", "prove_dead"):
        left_out = desk.does("setup/sign", 422, step=step, state="not-needed")["codes"]
        assert any(code.startswith("setup-steps-never-left-out") for code in left_out)
        desk.does("setup/sign", step=step)
    desk.does("setup/sign", step="voltage_selector")
    desk.types("setup/first_volts", "395 V")
    reopened = next(one for one in desk.view["assessment"]["setup"]["steps"] if one["step"] == "voltage_selector")
    assert reopened["reopened"] and reopened["is_open"]


def test_power_is_refused_over_the_wire_with_a_stop_open_and_before_its_steps(client: TestClient) -> None:
    desk = Desk(client, HALL)
    assert "setup-steps-refusal-to-sign-first-step" in desk.does("setup/sign", 422, step="power")["codes"]
    desk.types("setup/first_volts", "230 V")
    desk.types("setup/voltage_selector", "115 V")
    for step in ("isolate", "prove_dead", "photograph", "overload", "fuse", "free"):
        desk.does("setup/sign", step=step)
    assert "setup-steps-refusal-to-sign-first-step" in desk.does("setup/sign", 422, step="power")["codes"]
    assert "nobody" not in desk.does("setup/sign", 422, step="drive_settings")["sentence"]
    assert desk.view["assessment"]["setup"]["stops"]
    assert not any(sign["step"] == "power" for sign in desk.view["document"]["setup"]["signs"])


def test_settings_are_seen_written_read_back_and_kept(hall: Desk, plants: SimulatedDevices) -> None:
    plan = hall.post("setup/plan", what="settings")
    assert not plan["needs_authorisation"] and any(says("writing-caution", caution) for caution in plan["cautions"])
    assert any(says("api-setup-cautions-steps-before", caution) for caution in plan["cautions"])
    before = {line["role"]: line["before_si"] for line in plan["lines"]}
    assert before["ramp_up"] == 10 and before["overload_current"] == pytest.approx(4.1)
    answer = hall.post("setup/writes", what="settings", digest=plan["digest"], who="Ann")
    assert answer["agrees"]
    assert plants.called("hall-drive").held[Role.OVERLOAD_CURRENT] == pytest.approx(3.4)
    kept = hall.client.get("/api/devices/1/writes").json()
    assert {one["who"] for one in kept} == {"Ann"} and any(one["words"] == "overload current" for one in kept)


def test_what_was_not_looked_at_is_not_written(hall: Desk, plants: SimulatedDevices) -> None:
    plan = hall.post("setup/plan", what="settings")
    plants.called("hall-drive").write(Role.RAMP_UP, 17.0)
    clash = hall.post("setup/writes", 409, what="settings", digest=plan["digest"], who="Ann")
    assert (
        clash["code"] == "writing-carry-out-holds-something"
        and plants.called("hall-drive").held[Role.OVERLOAD_CURRENT] == 4.1
    )


def test_nothing_that_could_start_the_machine_is_written_under_a_stop(hall: Desk) -> None:
    hall.does("setup/sign", step="free", state="stop", found="rubs")
    refused = hall.post("setup/plan", 422, what="command", step="s1")
    assert refused["code"] == "api-setup-plan-for-stop-set"
    assert hall.writes(what="stop")["agrees"]


def test_trouble_in_the_middle_says_what_was_written_and_what_not(hall: Desk, plants: SimulatedDevices) -> None:
    plan = hall.post("setup/plan", what="settings")
    plants.called("hall-drive").trouble = Trouble.LOST
    answer = hall.post("setup/writes", what="settings", digest=plan["digest"], who="Ann")
    told = [one["sentence"] for one in answer["outcomes"] if not one["agrees"]]
    assert (
        not answer["agrees"]
        and says("client-write-whether-written", told[0])
        and all(says("writing-carry-out-written-one", one) for one in told[1:])
    )
    plants.called("hall-drive").trouble = Trouble.SILENT
    assert hall.client.post(f"/api/jobs/{hall.id}/setup/plan", json={"what": "settings"}).status_code == 424


def test_what_is_no_simulated_device_is_written_only_when_authorised(hall: Desk, plants: SimulatedDevices) -> None:
    port = plants.called("hall-drive").port
    added = hall.client.post(
        "/api/devices", json={"name": "Roof drive", "code": "quay-drive-15", "host": "127.0.0.1", "port": port}
    )
    assert added.status_code == 201 and not added.json()["simulated_device"]
    hall.does("setup/device", which="device", name="Roof drive")
    plan = hall.post("setup/plan", what="settings")
    assert plan["needs_authorisation"] and plan["authorised_until"] is None
    refused = hall.post("setup/writes", 422, what="settings", digest=plan["digest"], who="Ann")
    assert refused["code"] == "writing-carry-out-simulated-device"
    hall.post("setup/authorisation", 422, what="settings", digest=plan["digest"], who="", minutes=5)
    hall.post("setup/authorisation", 409, what="settings", digest="something else", who="Ann", minutes=5)
    authorised = hall.post("setup/authorisation", what="settings", digest=plan["digest"], who="Ann", minutes=5)
    assert authorised["authorised_until"]
    assert hall.post("setup/writes", what="settings", digest=plan["digest"], who="Ann")["agrees"]
    other = Desk(hall.client, HALL)
    other.does("setup/device", which="device", name="Roof drive")
    assert other.post("setup/plan", what="settings")["authorised_until"] is None, "it is authorised for one job alone"
    hall.client.delete(f"/api/devices/{added.json()['id']}/authorisation")
    assert hall.post("setup/plan", what="settings")["authorised_until"] is None
    refused = hall.post("setup/plan", 422, what="command", step="s1")["sentence"]
    assert says("api-setup-plan-for-steps-before", refused), (
        "a real machine is not run before its steps are signed, authorised or not"
    )


def test_a_meter_is_no_drive_and_traits_come_with_the_device(hall: Desk) -> None:
    hall.does("setup/device", 422, which="device", name="Hall supply fan, meter panel")
    hall.does("setup/device", 404, which="device", name="nobody's")
    assert hall.view["document"]["setup"]["traits"]["drive"]["most_bands"] == 3
    hall.does("setup/device", which="device", name=None)
    assert hall.view["document"]["setup"]["traits"] is None
    assert hall.post("setup/plan", 404, what="settings")["code"] == "store-devices-device-named-device-chosen"


def balance(desk: Desk, step: str, machine_time: MachineTime) -> Any:
    """Write, let it run steady, read; until the loop says that it is done."""
    for _ in range(5):
        command = next(one for one in desk.setup["commands"] if one["step"] == step)
        if command["advice"]["outcome"] in ("inside", "cannot"):
            return command
        assert desk.writes(what="command", step=step)["agrees"]
        machine_time.sleep(LONGEST_RAMP_S)
        desk.does("setup/trials", step=step, read=True)
    raise AssertionError("more than four readings")


def test_both_duty_steps_of_the_drive_are_balanced_with_the_panel(hall: Desk, machine_time: MachineTime) -> None:
    for step in ("s1", "s2"):
        command = balance(hall, step, machine_time)
        assert command["advice"]["outcome"] == "inside" and 1 <= len(command["trials"]) <= 4
    assert hall.view["document"]["setup"]["trials"][0]["source"] == "Hall supply fan, meter panel"


def test_nothing_is_read_while_the_machine_is_still_on_its_way(hall: Desk, machine_time: MachineTime) -> None:
    assert hall.writes(what="command", step="s1")["agrees"]
    refused = hall.does("setup/trials", 422, step="s1", read=True)
    assert refused["code"] == "reading-refuse-unsteady" and hall.load()["document"]["setup"]["trials"] == []
    machine_time.sleep(LONGEST_RAMP_S)
    hall.does("setup/trials", step="s1", read=True)


def test_the_electronic_blower_is_balanced_by_its_volts(
    client: TestClient, plants: SimulatedDevices, machine_time: MachineTime
) -> None:
    desk = Desk(client, changed(WAITING, decision__chosen="electronic"))
    desk.does("setup/device", which="device", name="Waiting hall blower, electronic motor")
    desk.does("setup/device", which="panel", name="Waiting hall blower, meter panel")
    for step in ("s2", "s3"):
        command = balance(desk, step, machine_time)
        assert command["advice"]["outcome"] == "inside" and len(command["trials"]) <= 4
    told = desk.does("readings-from-panel", stage="after", name="circulating, after")["document"]["readings"][-1]
    assert told["stage"] == "after" and told["signal"]["si"] == pytest.approx(0.5, abs=0.1)
    assert told["input_power"]["unit"] == "W" and told["airflow"]["unit"] == "cfm"


@pytest.fixture
def swift(monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setattr(sweep_run, "LOOK_EVERY_S", 0.4)  # as often as a machine at work on other tests may look


def begun(desk: Desk, low: str = "40 Hz") -> None:
    for path, text in (("low", low), ("hold", "0.1 s"), ("step", "1 Hz"), ("limit", "58 dB(A)")):
        desk.types(f"setup/sweep/{path}", text)
    plan = desk.post("setup/plan", what="sweep")
    assert plan["starts"]
    desk.post("setup/sweep", what="sweep", digest=plan["digest"], who="Ann")


def run(desk: Desk) -> Any:
    return desk.client.get(f"/api/jobs/{desk.id}/setup/sweep").json()["run"]


@pytest.mark.usefixtures("swift")
def test_a_sweep_hears_marks_and_puts_back_what_was_told_before(
    hall: Desk, plants: SimulatedDevices, monkeypatch: pytest.MonkeyPatch
) -> None:
    drive = plants.called("hall-drive")
    while_put_back, forget = [], sweep_run.forget_sweep
    monkeypatch.setattr(
        sweep_run, "forget_sweep", lambda job: (while_put_back.append(run(hall)["state"]), forget(job))[1]
    )
    drive.write(Role.SKIP_1_LOW, 41.0)
    drive.write(Role.SKIP_1_HIGH, 44.0)
    begun(hall)
    assert drive.held[Role.SKIP_1_HIGH] == 0, "old skips are cleared first: a band that is skipped is never heard"
    assert hall.post("setup/sweep", 422, what="sweep", digest=hall.post("setup/plan", what="sweep")["digest"], who="Bo")["code"] == "sweep-run-refuse-second-sweep-under"  # fmt: skip
    found = until(lambda: (now := run(hall))["state"] == "done" and now)
    assert found["done"] == found["of"] == 22 and len(found["levels"]) == 22
    assert while_put_back == ["running"], "it says done only when the drive is told again what it was told before"
    assert drive.held[Role.RUN] == 0 and drive.held[Role.FREQUENCY_COMMAND] == 25
    sweep = hall.setup["sweep"]
    assert sweep["done"] and sweep["high"]["value"] == 49
    assert any(band["low"]["value"] < 43 < band["high"]["value"] for band in sweep["skips"])
    assert hall.writes(what="bands")["agrees"]
    assert drive.held[Role.SKIP_1_LOW] < 43 < drive.held[Role.SKIP_1_HIGH] and drive.held[Role.HIGH_LIMIT] == 49


@pytest.mark.usefixtures("swift")
def test_a_drive_that_does_not_come_there_pauses_the_sweep_and_nothing_is_heard_at_the_wrong_place(
    hall: Desk, plants: SimulatedDevices, monkeypatch: pytest.MonkeyPatch
) -> None:
    monkeypatch.setattr(sweep_run, "LONGEST_RAMP_S", LONGEST_RAMP_S)
    plants.called("hall-drive").write(Role.HIGH_LIMIT, 42.0)
    begun(hall)
    paused = until(lambda: (now := run(hall))["state"] == "paused" and now)
    assert "Told 43 Hz the drive gives 42.0 Hz" in paused["sentence"]
    assert max(level["hertz"] for level in paused["levels"]) == 42
    assert hall.writes(what="stop")["agrees"]


@pytest.mark.usefixtures("swift")
def test_a_lost_link_pauses_the_sweep_and_nothing_starts_by_itself(hall: Desk, plants: SimulatedDevices) -> None:
    begun(hall)
    until(lambda: run(hall)["done"] >= 2)
    plants.called("hall-drive").trouble = Trouble.SILENT
    paused = until(lambda: (now := run(hall))["state"] == "paused" and now)
    assert says("sweep-run-run-sweep-waits", paused["sentence"])
    plants.called("hall-drive").trouble = Trouble.NONE
    time.sleep(0.3)
    assert run(hall)["state"] == "paused"
    hall.client.post(f"/api/jobs/{hall.id}/setup/sweep/go-on")
    assert until(lambda: (now := run(hall))["state"] == "done" and now)["done"] == 22


@pytest.mark.usefixtures("swift")
def test_a_restart_in_the_middle_of_a_sweep_keeps_its_place_and_what_to_put_back(
    hall: Desk, plants: SimulatedDevices
) -> None:
    begun(hall)
    until(lambda: run(hall)["done"] >= 3)
    stop_all()
    assert not RUNS
    found = run(hall)
    assert found["state"] == "paused" and found["done"] >= 3 and says("sweep-run-run-of", found["sentence"])
    stopped = hall.client.post(f"/api/jobs/{hall.id}/setup/sweep/stop").json()["run"]
    assert stopped["state"] == "stopped" and says("sweep-run-put-back-drive-told", stopped["sentence"])
    assert plants.called("hall-drive").held[Role.RUN] == 0


@pytest.mark.usefixtures("swift")
def test_one_press_marks_what_the_drive_gives_just_now(hall: Desk) -> None:
    begun(hall)
    until(lambda: run(hall)["done"] >= 4)
    hall.client.post(f"/api/jobs/{hall.id}/setup/sweep/pause")
    at = run(hall)["at"]["value"]
    hall.post("setup/loud", who="Ann")
    marks = hall.load()["document"]["setup"]["sweep"]["marks"]
    assert any(mark["frequency"]["si"] == pytest.approx(at, abs=1.0) and mark["level"] is None for mark in marks)
    hall.post("setup/loud", hertz=43.2, going="down", who="Ann")
    assert hall.load()["document"]["setup"]["sweep"]["marks"][-1]["frequency"]["si"] == 43
