"""A panel read into a machine's log: on what the drive is told, nothing while it stands, trouble told and nothing kept."""

from __future__ import annotations

import time
from collections.abc import Iterator
from threading import Event, Thread

import pytest

from modest_rotor.core.job import Job
from modest_rotor.devices import panel_watch, reading
from modest_rotor.devices.links import LINKS
from modest_rotor.devices.panel_watch import read_once, trouble_of, watch_panels
from modest_rotor.devices.simulated_devices import start_simulated_devices, stop_simulated_devices
from modest_rotor.fieldbus.profile import Role
from modest_rotor.fieldbus.simulated import SimulatedDevices, Trouble
from modest_rotor.store import logs
from modest_rotor.store.database import with_connection
from modest_rotor.store.devices import device_named
from modest_rotor.store.jobs import keep_job
from tests.core.setup.test_setup_answer import HALL
from tests.machine_time import kept_in
from tests.said import codes_of

pytestmark = [pytest.mark.database, pytest.mark.usefixtures("store")]
PATIENCE_S = 240.0


@pytest.fixture
def plants(monkeypatch: pytest.MonkeyPatch) -> Iterator[SimulatedDevices]:
    yield with_connection(start_simulated_devices)(kept_in(monkeypatch, reading))
    LINKS.close()
    stop_simulated_devices()


def test_a_watched_panel_fills_the_log_and_says_when_it_falls_silent(
    plants: SimulatedDevices, monkeypatch: pytest.MonkeyPatch
) -> None:
    monkeypatch.setattr(panel_watch, "LOOK_EVERY_S", 0.05)
    stored = with_connection(keep_job)(Job.model_validate(HALL))
    machine = stored.machine_id
    drive, panel = plants.called("hall-drive"), plants.called("hall-panel")

    @with_connection
    def begin() -> None:
        wanted = device_named("Hall supply fan, meter panel"), device_named("Hall supply fan, drive")
        logs.keep_watch(machine, wanted[0].id, wanted[1].id, 0, "as it runs", "Ann")

    @with_connection
    def count() -> int:
        return len(logs.log_of(machine))

    begin()
    stopping = Event()
    watcher = Thread(target=watch_panels, args=(stopping,))
    watcher.start()
    try:
        time.sleep(0.5)
        assert count() == 0, "a machine that stands says nothing"
        drive.write(Role.FREQUENCY_COMMAND, 40.0)
        drive.write(Role.RUN, 1.0)
        deadline = time.monotonic() + PATIENCE_S
        while count() < 6 and time.monotonic() < deadline:
            time.sleep(0.1)
        panel.trouble = Trouble.SILENT
        while trouble_of(machine) is None and time.monotonic() < deadline:
            time.sleep(0.1)
        told = trouble_of(machine)
        before = count()
        time.sleep(0.5)
        assert told and "client-asked-gave-whole" in codes_of(told) and count() == before >= 6
    finally:
        stopping.set()
        watcher.join()
    kept = with_connection(logs.log_of)(machine)
    assert set(kept.settings) == {"40.0 Hz"} and set(kept.sources) == {"Hall supply fan, meter panel"}
    assert {"input_power", "static", "airflow", "speed", "air"} <= set(kept.columns)
    assert kept.columns["static"][-1] == pytest.approx(240, rel=0.08)


def test_a_machine_on_its_way_or_told_anew_meanwhile_says_nothing_and_a_steady_one_its_setting(
    monkeypatch: pytest.MonkeyPatch,
) -> None:
    """Time passes only while is looked for a second time, so that every look is at a known moment of the ramp."""
    machine_time = kept_in(monkeypatch, reading)
    plants = with_connection(start_simulated_devices)(machine_time)
    try:
        machine = with_connection(keep_job)(Job.model_validate(HALL)).machine_id
        drive = plants.called("hall-drive")

        @with_connection
        def read() -> list[str]:
            wanted = device_named("Hall supply fan, meter panel"), device_named("Hall supply fan, drive")
            read_once(machine, *wanted, "as it runs", "Ann")
            return list(logs.log_of(machine).settings)

        drive.write(Role.FREQUENCY_COMMAND, 40.0)
        drive.write(Role.RUN, 1.0)
        machine_time.sleep(2.0)
        assert read() == [], "on its way"
        machine_time.sleep(100.0)
        assert read() == ["40.0 Hz"]
        with monkeypatch.context() as changing:
            told = iter(("40.0 Hz", "30.0 Hz"))
            changing.setattr(panel_watch, "setting_of", lambda _: next(told))
            assert read() == ["40.0 Hz"], "what was read belongs to neither"
    finally:
        LINKS.close()
        stop_simulated_devices()
