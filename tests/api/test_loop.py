"""A closed loop over HTTP on the simulated drive: a step test, gains from it, the closed loop watched while calm and while it hunts."""

from __future__ import annotations

import itertools
import time
from collections.abc import Iterator
from types import SimpleNamespace
from typing import Any

import pytest
from fastapi.testclient import TestClient

from modest_rotor.devices import loop_run
from modest_rotor.devices.links import LINKS
from modest_rotor.devices.loop_run import RunState, loop_run_of, stop_all_runs
from modest_rotor.devices.simulated_devices import start_simulated_devices, stop_simulated_devices
from modest_rotor.fieldbus.errors import DeviceTrouble
from modest_rotor.fieldbus.profile import Role
from modest_rotor.fieldbus.simulated import SimulatedDevices
from modest_rotor.store.database import with_connection
from tests.api.test_setup import Desk, until
from tests.core.setup.test_setup_answer import HALL
from tests.jobs import changed
from tests.machine_time import MachineTime, kept_in
from tests.said import says

pytestmark = [pytest.mark.database, pytest.mark.slow]
WATCH_S = 50
LOOP = {"holds": "a duct's static", "place": "two thirds along", "left": "30 %", "pressure": {"span": "500 Pa", "set_point": "110 Pa"}}  # fmt: skip


@pytest.fixture
def machine_time(monkeypatch: pytest.MonkeyPatch) -> MachineTime:
    found = kept_in(monkeypatch, loop_run)
    monkeypatch.setattr(loop_run, "now", found)
    monkeypatch.setattr(loop_run, "LOOK_EVERY_S", 0.3)
    return found


@pytest.fixture
def plants(client: TestClient, machine_time: MachineTime) -> Iterator[SimulatedDevices]:
    yield with_connection(start_simulated_devices)(machine_time)
    stop_all_runs()
    LINKS.close()
    stop_simulated_devices()


@pytest.fixture
def hall(client: TestClient, plants: SimulatedDevices) -> Desk:
    return Desk(client, changed(HALL, setup__loop=LOOP, setup__drive={"ramp_up": "10 s", "ramp_down": "10 s"}))


def ended(hall: Desk) -> dict[str, Any]:
    def look() -> Any:
        run = hall.client.get(f"/api/jobs/{hall.id}/setup/loop-run").json()["run"]
        return run if run["state"] != "running" else None

    return until(look)  # type: ignore[no-any-return]


def stepped(hall: Desk) -> dict[str, Any]:
    plan = hall.post("setup/plan", what="step")
    assert plan["starts"] and next(line["role"] for line in plan["lines"]) == "loop_on"
    hall.post("setup/loop-run/step", what="step", digest=plan["digest"], who="Ann")
    return ended(hall)


def watched(hall: Desk) -> dict[str, Any]:
    plan = hall.post("setup/plan", what="watch")
    hall.post("setup/loop-run/watch", seconds=WATCH_S, digest=plan["digest"], who="Ann")
    return ended(hall)


@pytest.mark.parametrize(("lost", "state"), [(3, "done"), (4, "stopped")])
def test_a_few_lost_answers_do_not_end_a_step_test_and_a_silent_drive_does(
    hall: Desk, plants: SimulatedDevices, monkeypatch: pytest.MonkeyPatch, lost: int, state: str
) -> None:
    """A bus that loses so many answers out of every ten, one after the other."""
    asked = itertools.count()
    real = LINKS.link

    def link(kept: Any) -> Any:
        one = real(kept)

        def read(roles: Any) -> Any:
            if next(asked) % 10 < lost:
                raise DeviceTrouble("no answer")
            return one.read(roles)

        return SimpleNamespace(read=read, write=one.write)

    monkeypatch.setattr(loop_run, "LINKS", SimpleNamespace(link=link))
    run = stepped(hall)
    assert run["state"] == state
    assert state == "done" or "no answer" in run["sentence"]


def test_a_step_test_tells_first_gains_that_hold_and_wild_ones_are_seen_and_calmed(
    hall: Desk, plants: SimulatedDevices
) -> None:
    run = stepped(hall)
    assert run["state"] == "done" and "was read" in run["sentence"]
    loop = hall.load()["document"]["setup"]["loop"]
    assert loop["hertz_before"]["si"] == pytest.approx(45, abs=0.1) and loop["pressure"]["after"]["si"] > loop["pressure"]["before"]["si"]  # fmt: skip
    assert 0.3 < loop["began"]["si"] < loop["two_thirds"]["si"] < 15
    answer = hall.setup["loop"]
    assert answer["lag"]["basis"] == "measured" and answer["gain"]["figure"]["value"] > 0

    hall.does("setup/loop/tries")
    assert hall.writes(what="close")["agrees"]
    held = plants.called("hall-drive").values()
    assert held[Role.LOOP_ON] == 1 and held[Role.SET_POINT] == pytest.approx(110)
    run = watched(hall)
    assert run["state"] == "done", run["sentence"]
    assert run["samples"][-1]["value"] == pytest.approx(110, abs=5)
    tried = hall.load()["document"]["setup"]["loop"]["tries"][-1]
    assert tried["seen"] in ("quiet", "dies-away")
    assert says("setup-loop-following-so-loop", hall.setup["loop"]["next_words"][0])

    hall.does("setup/loop/tries")
    wild = hall.view["document"]["setup"]["loop"]["tries"][-1]["id"]
    hall.types(f"setup/loop/tries/{wild}/gain", "20")
    hall.types(f"setup/loop/tries/{wild}/integral", "3 s")
    run = watched(hall)
    assert says("table-labels-label-loop-Swing-hunts", run["sentence"])
    answer = hall.setup["loop"]
    assert answer["next_gain"]["value"] == pytest.approx(20 / 3.2) and answer["is_restless"]
    watch = next(one for one in hall.setup["steps"] if one["step"] == "loop_watch")
    assert says("setup-steps-watch-waits-waits-gains", watch["waits"])

    hall.does("setup/loop/tries")
    newest = hall.view["document"]["setup"]["loop"]["tries"][-1]
    assert newest["gain"]["si"] == pytest.approx(6.25, abs=0.01) and newest["seen"] is None
    watched(hall)
    assert plants.called("hall-drive").values()[Role.SET_POINT] == pytest.approx(110)
    assert not hall.setup["loop"]["is_restless"]


def test_a_stop_ends_a_step_test_before_its_second_frequency(
    hall: Desk, plants: SimulatedDevices, machine_time: MachineTime
) -> None:
    machine_time.moment_s = 0.1  # the stop comes while the drive is still on its way to the first
    plan = hall.post("setup/plan", what="step")
    hall.post("setup/loop-run/step", what="step", digest=plan["digest"], who="Ann")
    hall.post("setup/writes", what="stop", digest="", who="Ann")
    run = ended(hall)
    assert run["state"] == "stopped"
    time.sleep(0.3)
    held = plants.called("hall-drive").values()
    assert held[Role.RUN] == 0 and held[Role.FREQUENCY_COMMAND] == pytest.approx(45, abs=0.1)


def test_a_step_test_keeps_clear_of_the_bands_that_the_drive_skips(hall: Desk, plants: SimulatedDevices) -> None:
    drive = plants.called("hall-drive")
    drive.write(Role.SKIP_1_HIGH, 46.0)
    drive.write(Role.SKIP_1_LOW, 44.0)
    run = stepped(hall)
    assert run["state"] == "done", run["sentence"]
    loop = hall.load()["document"]["setup"]["loop"]
    assert loop["hertz_before"]["si"] == pytest.approx(43.5, abs=0.06)
    assert loop["hertz_after"]["si"] == pytest.approx(50, abs=0.06)

    drive.write(Role.SKIP_1_HIGH, 60.0)
    drive.write(Role.SKIP_1_LOW, 12.0)
    assert hall.post("setup/plan", 422, what="step")["code"] == "writing-step-of"


def test_a_drive_that_does_not_go_where_it_is_told_is_named(
    hall: Desk, plants: SimulatedDevices, monkeypatch: pytest.MonkeyPatch
) -> None:
    monkeypatch.setattr(loop_run, "LONGEST_WAIT_S", 20.0)
    plan = hall.post("setup/plan", what="step")
    hall.post("setup/loop-run/step", what="step", digest=plan["digest"], who="Ann")
    plants.called("hall-drive").write(Role.SKIP_1_HIGH, 47.0)
    plants.called("hall-drive").write(Role.SKIP_1_LOW, 40.0)
    assert "Told 45.0 Hz the drive gives 40.0 Hz" in ended(hall)["sentence"]


def test_two_runs_at_once_and_writes_beside_a_run_are_refused(hall: Desk, plants: SimulatedDevices) -> None:
    hall.does("setup/loop/tries")
    plan = hall.post("setup/plan", what="watch")
    hall.post("setup/loop-run/watch", seconds=600, digest=plan["digest"], who="Ann")
    plan = hall.post("setup/plan", what="watch")
    refused = hall.post("setup/loop-run/watch", 422, seconds=20, digest=plan["digest"], who="Bo")
    assert refused["code"] == "loop-run-refuse-second-run-under-way"
    plan = hall.post("setup/plan", what="step")
    refused = hall.post("setup/loop-run/step", 422, what="step", digest=plan["digest"], who="Bo")
    assert refused["code"] == "loop-run-refuse-second-run-under-way"
    assert (
        hall.post("setup/writes", 422, what="step", digest=plan["digest"], who="Bo")["code"]
        == "loop-run-refuse-second-run-under-way"
    )
    hall.post("setup/loop-run/stop")
    run = loop_run_of(hall.id)
    assert run is not None and run.state is RunState.STOPPED
    assert plants.called("hall-drive").values()[Role.SET_POINT] == pytest.approx(110)
    assert hall.post("setup/loop-run/stop", 422)["code"] == "api-loop-end-loop-run"


def test_a_command_puts_a_closed_loop_in_hand_first(hall: Desk, plants: SimulatedDevices) -> None:
    hall.does("setup/loop/tries")
    hall.writes(what="close")
    step = hall.setup["commands"][0]["step"]
    assert hall.writes(what="command", step=step)["agrees"]
    assert plants.called("hall-drive").values()[Role.LOOP_ON] == 0


@pytest.mark.parametrize(
    ("loop", "words"),
    [
        ({**LOOP, "pressure": {"set_point": "110 Pa"}}, "range"),
        ({**LOOP, "holds": "a level"}, "holds a duct’s static"),
        (LOOP, "Add the gains"),
    ],
)
def test_a_loop_that_lacks_something_is_not_closed(
    client: TestClient, plants: SimulatedDevices, loop: Any, words: str
) -> None:
    desk = Desk(client, changed(HALL, setup__loop=loop))
    assert words in desk.post("setup/plan", 422, what="close")["sentence"]


def test_a_loop_the_wrong_way_round_is_a_stop_and_may_be_put_in_hand(
    client: TestClient, plants: SimulatedDevices
) -> None:
    crossed = {
        **LOOP,
        "pressure": {"span": "500 Pa", "set_point": "110 Pa", "before": "110 Pa", "after": "80 Pa"},
        "hertz_before": "40 Hz", "hertz_after": "45 Hz", "began": "1 s", "two_thirds": "4 s",
        "tries": [{"id": "t1", "gain": "1", "integral": "4 s"}],
    }  # fmt: skip
    desk = Desk(client, changed(HALL, setup__loop=crossed))
    assert any(says("loop-words-loop-stop-step-test", "".join(map(str, one))) for one in desk.setup["stops"])
    assert desk.post("setup/plan", 422, what="close")["code"] == "api-setup-plan-for-stop-set"
    assert desk.post("setup/plan", what="hand")["lines"]
    steps = {one["step"]: one for one in desk.setup["steps"]}
    assert steps["loop_gains"]["stop"] and "cause" in steps["loop_gains"]["cannot_sign"]
