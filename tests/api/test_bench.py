"""The Bench at its doors: rigs over HTTP, WebSocket and Modbus, explanations and record, hunts to their debrief."""

from __future__ import annotations

import time
from collections.abc import Iterator
from typing import Any

import pytest
from fastapi.testclient import TestClient
from starlette.websockets import WebSocketDisconnect

from modest_rotor.api import bench_live
from modest_rotor.core.bench.course import course
from modest_rotor.core.bench.hunt import READINGS, make_hunt
from modest_rotor.core.bench.hunting import FIRST_READ, cheapest_acts
from modest_rotor.core.job import Job
from modest_rotor.devices.bench_rig import AT_REST, PANEL, BenchRig
from modest_rotor.devices.simulated_devices import start_simulated_devices, stop_simulated_devices
from modest_rotor.store.database import with_connection
from modest_rotor.store.jobs import StoredJob, keep_job
from tests.core.setup.test_setup_answer import BAGGAGE
from tests.said import says

RIG = "ws://127.0.0.1/api/bench/rig"
pytestmark = pytest.mark.database
BLOWER = {"of": "stand", "name": "capacitor blower"}
FAN_ON_DRIVE = {"of": "stand", "name": "three-phase fan on a drive"}


def answer(client: TestClient, path: str, body: dict[str, Any], status: int = 200) -> Any:
    found = client.post(f"/api/bench{path}", json=body)
    assert found.status_code == status, found.text
    return found.json()


def test_the_book_names_stands_course_and_what_else_may_stand_there(client: TestClient, job: StoredJob) -> None:
    book = client.get("/api/bench").json()
    assert "capacitor blower" in book["stands"] and len(book["course"]) == len(course())
    assert [one["id"] for one in book["jobs"]] == [job.id]
    assert "restriction" in book["topics"]


def test_a_rig_says_where_it_goes(client: TestClient) -> None:
    seen = answer(client, "/look", {"rig": BLOWER, "controls": {"open": 0.5}})
    assert seen["rig"]["capacitor"] and {knob["key"] for knob in seen["rig"]["knobs"]} >= {
        "tap",
        "open",
        "capacitor",
        "volts",
    }
    values = seen["outlook"]["values"]
    assert 1100 < values["speed"] < 1200 and values["capacitor-volts"] > 300
    assert [curve["kind"] for curve in seen["outlook"]["curves"]] == ["machine", "system"]
    assert seen["outlook"]["torque"]["field"] == 1200
    hot = answer(client, "/look", {"rig": BLOWER, "controls": {"capacitor": 0}})
    assert any("130 °C" in words for words in hot["outlook"]["says"])


def test_a_jobs_machine_stands_on_the_bench_and_one_that_cannot_says_why(client: TestClient) -> None:
    stored = with_connection(keep_job)(Job.model_validate(BAGGAGE))
    seen = answer(client, "/look", {"rig": {"of": "job", "job": stored.id}})
    assert seen["rig"]["name"] == stored.job.machine.name
    bare = with_connection(keep_job)(Job.model_validate({**BAGGAGE, "document": {}}))
    refused = answer(client, "/look", {"rig": {"of": "job", "job": bare.id}}, 422)
    assert refused["code"] == "rigs-stand-of-machine"
    assert answer(client, "/look", {"rig": {"of": "job", "job": 999_999}}, 404)
    assert answer(client, "/look", {"rig": {"of": "stand", "name": "a rocket"}}, 422)
    assert answer(client, "/look", {"rig": {**BLOWER, "drive": True}}, 422)


def test_waves_of_a_drive_and_none_without(client: TestClient) -> None:
    waves = answer(client, "/waves", {"rig": FAN_ON_DRIVE, "controls": {"hertz": 40, "carrier_hz": 2000}})
    assert waves["pulses_a_period"] == 50 and not waves["clipped"]
    assert waves["pulses"]["ms"][-1] == pytest.approx(25.0, rel=0.01)
    assert answer(client, "/waves", {"rig": BLOWER}, 422)["code"] == "waves-of"


def test_a_change_is_explained_and_what_was_said_is_kept_by_topic(client: TestClient) -> None:
    one = next(one for one in course() if one.code == "block-forward-curved")
    body = {
        "rig": BLOWER,
        "before": {},
        "after": one.after.model_dump(mode="json"),
        "experiment": one.code,
        "who": "Ann",
        "said": {"speed": -1, "amps": 1, "flow": -1},
    }
    told = answer(client, "/explain", body)
    by_meter = {line["meter"]: line for line in told["answers"]}
    assert by_meter["speed"]["moves"] == 1 and by_meter["speed"]["right"] is False
    assert by_meter["flow"]["right"] is True and by_meter["watts"]["right"] is None
    assert told["topic"] == "restriction" and told["point"] == one.point
    line = next(line for line in told["record"]["topics"] if line["topic"] == "restriction")
    assert (line["asked"], line["right"], set(line["mistaken"])) == (3, 1, {"speed", "amps"})
    again = answer(client, "/explain", {**body, "said": {"speed": 1, "amps": -1}})
    assert next(line for line in again["record"]["topics"] if line["topic"] == "restriction")["mistaken"] == []
    assert client.get("/api/bench/record", params={"who": "Ann"}).json()["asked"] == 5
    assert client.get("/api/bench/record", params={"who": "Bo"}).json()["asked"] == 0
    passed = answer(client, "/explain", {**body, "said": {}, "who": "Bo"})
    assert passed["record"]["asked"] == 0, "a learner may pass without predicting"
    free = answer(client, "/explain", {**body, "experiment": "", "after": {"capacitor": 0.5, "volts": 0.9}})
    assert free["topic"] == "several at once" and free["point"] is None


@pytest.fixture
def panel(client: TestClient) -> Iterator[TestClient]:
    with_connection(start_simulated_devices)()
    yield client
    stop_simulated_devices()


def test_a_rig_runs_over_the_socket_and_a_turn_is_answered_at_once(client: TestClient) -> None:
    with client.websocket_connect(RIG) as socket:
        socket.send_json({"do": "turn", "controls": {}})
        assert says("bench-live-module-rig-stands", socket.receive_json()["sentence"])
        socket.send_json({"do": "put up", "rig": BLOWER})
        standing = socket.receive_json()
        assert standing["kind"] == "standing" and standing["rig"]["name"] == "capacitor blower"
        first = heard(socket, "frame")
        assert first["on"] and 1050 < first["values"]["speed"] < 1150
        socket.send_json({"do": "turn", "controls": {"open": 0.3}, "number": 7})
        turned = heard(socket, "frame", lambda frame: frame["number"] == 7)
        assert turned["values"]["flow"] < first["values"]["flow"]
        assert heard(socket, "outlook", lambda view: view["number"] == 7)["outlook"]["values"]["speed"] > 1100
        socket.send_json({"do": "turn", "controls": {"volts": -3}})
        refused = heard(socket, "refused")
        assert "volts" in refused["sentence"] and says("bench-live-module-rig-goes", refused["sentence"])
        socket.send_json({"do": "turn", "controls": {"unbalance": 0.05}})
        assert "three-phase" in heard(socket, "refused")["sentence"]
        socket.send_json({"do": "put up", "rig": {"of": "stand", "name": "a rocket"}})
        assert says("shipped-stand-called", heard(socket, "refused")["sentence"])
        socket.send_text("{half")
        assert heard(socket, "refused") and heard(socket, "frame")["number"] == 7, "the rig stays usable"
        socket.send_json({"do": "switch", "on": False})
        off = heard(socket, "frame", lambda frame: not frame["on"])
        assert off["values"]["watts"] == 0 < off["values"]["speed"]
        socket.send_json({"do": "pace", "pace": 60})
        stopped = heard(socket, "frame", lambda frame: frame["at_s"] > off["at_s"] + 20)
        assert stopped["values"]["speed"] < 400
    assert PANEL.standing == 0


def heard(socket: Any, kind: str, that: Any = lambda _: True) -> Any:
    """The next message of a kind."""
    for _ in range(400):
        message = socket.receive_json()
        if message["kind"] == kind and that(message):
            return message
    raise AssertionError(f"no {kind} came")


def test_only_so_many_rigs_run_at_once(client: TestClient, monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setattr(bench_live, "MOST_RIGS", 1)
    with client.websocket_connect(RIG) as one, client.websocket_connect(RIG) as other:
        one.send_json({"do": "put up", "rig": BLOWER})
        assert heard(one, "frame")
        other.send_json({"do": "put up", "rig": BLOWER})
        assert says("bench-live-module-rigs-run", heard(other, "refused")["sentence"])
        one.send_json({"do": "put up", "rig": FAN_ON_DRIVE})
        assert heard(one, "standing")["rig"]["drive"], "the page that has one may put up another"


def test_where_the_rig_fails_its_page_is_let_go(client: TestClient, monkeypatch: pytest.MonkeyPatch) -> None:
    """Better than still meters: the page comes back by itself."""
    with client.websocket_connect(RIG) as socket:
        socket.send_json({"do": "put up", "rig": BLOWER})
        assert heard(socket, "frame")
        monkeypatch.setattr(BenchRig, "frame", lambda _: 1 / 0)
        with pytest.raises(WebSocketDisconnect):
            heard(socket, "never")
    monkeypatch.undo()
    deadline = time.monotonic() + 30
    while PANEL.standing and time.monotonic() < deadline:
        time.sleep(0.02)
    assert PANEL.standing == 0


def test_a_page_from_elsewhere_gets_no_rig(client: TestClient) -> None:
    with (
        pytest.raises(WebSocketDisconnect),
        client.websocket_connect(RIG, headers={"origin": "http://elsewhere.test"}),
    ):
        pass


def test_the_same_rig_is_read_over_modbus_and_kept_out_of_jobs(panel: TestClient, job: StoredJob) -> None:
    devices = panel.get("/api/devices").json()
    bench = next(device for device in devices if device["of_bench"])
    idle = panel.post(f"/api/devices/{bench['id']}/ask").json()
    assert value(idle, "speed") == pytest.approx(AT_REST.speed_rpm, abs=1)
    with panel.websocket_connect(RIG) as socket:
        socket.send_json({"do": "put up", "rig": BLOWER})
        speed = heard(socket, "frame")["values"]["speed"]
        read = panel.post(f"/api/devices/{bench['id']}/ask").json()
        assert value(read, "speed") == pytest.approx(speed, rel=0.03), "the panel has its noise"
    revision = panel.get(f"/api/jobs/{job.id}").json()["revision"]
    said = {"revision": revision, "which": "panel", "name": bench["name"]}
    refused = panel.post(f"/api/jobs/{job.id}/setup/device", json=said)
    assert refused.status_code == 422 and "no" in refused.json()["sentence"].lower()
    machine = panel.get(f"/api/jobs/{job.id}").json()["machine_id"]
    watch = {"panel": bench["name"], "every_s": 5, "setting": "as it runs", "who": "Ann"}
    assert (
        panel.put(f"/api/machines/{machine}/log/watch", json=watch).json()["code"] == "simulated-devices-refuse-bench"
    )


def value(device: dict[str, Any], role: str) -> float:
    (told,) = [one["shown"] for one in device["values"] if one["role"] == role]
    return next(piece["value"] for piece in told if isinstance(piece, dict))


def test_a_hunt_goes_to_its_debrief_and_is_kept_once(client: TestClient) -> None:
    number = 1004
    begun = answer(client, f"/hunts/{number}", {})
    assert begun["minutes"] == 0 and begun["debrief"] is None and begun["complaint"]
    hidden = make_hunt(number).hidden
    assert "hidden" not in str(begun["seen"])
    acts = list(cheapest_acts(number)[:-1])
    going = answer(client, f"/hunts/{number}", {"acts": acts})
    assert [line["act"] for line in going["seen"]] == acts and going["minutes"] > 0
    assert going["seen"][0]["now"]["uncertainty"] > 0
    assert [line["reads"] for line in going["seen"][:5]] == list(FIRST_READ)
    read = [one["reads"] for one in begun["acts"] if one["reads"]]
    assert read == list(READINGS) and all((line["now"] is None) == (line["reads"] is None) for line in going["seen"])
    step = make_hunt(number).faults[0].cause.next
    end = {"acts": acts, "causes": list(hidden), "next_step": step, "attempt": "a1", "who": "Ann"}
    done = answer(client, f"/hunts/{number}", end)
    assert done["debrief"]["ending"] == "found" and done["debrief"]["next_right"]
    assert done["debrief"]["cheapest_minutes"] == going["minutes"]
    answer(client, f"/hunts/{number}", end)
    after = client.get("/api/bench/hunts/next", params={"who": "Ann"}).json()
    assert len(after["ended"]) == 1 and after["ended"][0]["hidden"] == "; ".join(hidden)
    text = client.get("/api/bench/hunts.csv").content.decode("utf-8-sig")
    assert text.count("\r\n") == 2 and "Ann" in text


def test_an_unsafe_act_ends_a_hunt_and_a_wrong_number_is_refused(client: TestClient) -> None:
    number = next(number for number in range(100) if make_hunt(number).stand.has_capacitor)
    done = answer(client, f"/hunts/{number}", {"acts": ["Run capacitor, out of circuit"], "attempt": "x", "who": "=Bo"})
    assert done["debrief"]["ending"] == "unsafe" and "Isolate" in done["debrief"]["reason"]
    assert answer(client, "/hunts/99999", {}, 422)
    assert answer(client, f"/hunts/{number}", {"acts": ["hit it"]}, 422)
    assert "'=Bo" in client.get("/api/bench/hunts.csv").text


def test_a_rig_that_nobody_looked_at_stood_still_meanwhile() -> None:
    from modest_rotor.core.bench.shipped import stands
    from modest_rotor.core.bench.stand import Controls

    now = [0.0]
    rig = BenchRig(stands()["capacitor blower"], Controls(), lambda: now[0])
    now[0] = 3600.0
    assert rig.frame().at_s == 1.0
    rig.pace = 60
    now[0] += 0.5
    assert rig.frame().at_s == pytest.approx(31.0)
    assert rig.look().input_w == pytest.approx(rig.frame().meters.input_w)
