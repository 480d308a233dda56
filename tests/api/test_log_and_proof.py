"""Devices, the log and the sign-off over HTTP."""

from __future__ import annotations

import gzip
import json
from importlib.resources import files
from pathlib import Path
from typing import Any

import pytest
from fastapi.testclient import TestClient

import modest_rotor.fieldbus
from modest_rotor.core.job import Job
from modest_rotor.demo.load import load_demo_once
from modest_rotor.store import signed
from modest_rotor.store.database import with_connection
from modest_rotor.store.jobs import StoredJob, keep_job
from modest_rotor.store.models import SignedRow
from tests.core.setup.test_setup_answer import BAGGAGE
from tests.said import says

pytestmark = pytest.mark.database
EARLIER = Path(__file__).parents[1] / "formats/kept/signed-3-baggage_hall_air_handler.json.gz"
"""Assessment and report of a job as the program of commit 78b9523 (2026-11-30) signed it, some fields under other names than today's."""
PROFILE = files(modest_rotor.fieldbus).joinpath("profiles/gull-panel.json").read_text(encoding="utf-8")


def log(client: TestClient, job: StoredJob) -> str:
    return f"/api/machines/{job.machine_id}/log"


def test_a_typed_reading_is_kept_in_the_readers_units(client: TestClient, job: StoredJob) -> None:
    body = {
        "at": "2026-03-01 14:30",
        "values": {"input_power": "300 W", "airflow": "1,000 cfm"},
        "units": "ip",
        "who": "Ann",
    }
    answer = client.post(f"{log(client, job)}/readings", json=body).json()
    assert (answer["kept"], answer["already"]) == (1, 0)
    assert client.post(f"{log(client, job)}/readings", json=body).json()["already"] == 1
    assert answer["view"]["answer"]["readings"] == 1


@pytest.mark.parametrize(
    ("body", "words"),
    [
        ({"values": {"input_power": "much"}}, "cannot be read"),
        ({"values": {"colour": "3"}}, "no column"),
        ({"values": {}}, "says nothing"),
        ({"at": "yesterday", "values": {"speed": "1700"}}, "is no time"),
        ({"at": "2999-01-01 00:00", "values": {"speed": "1700"}}, "future"),
    ],
)
def test_a_reading_that_says_nothing_sensible_is_refused(
    client: TestClient, job: StoredJob, body: dict[str, Any], words: str
) -> None:
    answer = client.post(f"{log(client, job)}/readings", json=body)
    assert answer.status_code == 422 and words in answer.json()["sentence"]
    assert client.get(log(client, job)).json()["answer"]["readings"] == 0


def test_a_set_of_the_job_is_taken_over_and_a_stranger_is_not(client: TestClient, job: StoredJob) -> None:
    other = with_connection(keep_job)(Job.model_validate(BAGGAGE))
    taken = client.post(f"{log(client, job)}/sets", json={"job_id": job.id, "set_id": "s1"}).json()
    assert taken["kept"] == 1
    assert client.post(f"{log(client, job)}/sets", json={"job_id": other.id, "set_id": "s1"}).status_code == 422
    assert client.post(f"{log(client, job)}/sets", json={"job_id": job.id, "set_id": "s9"}).status_code == 404


def test_a_file_is_looked_at_first_and_then_taken_in_once(client: TestClient, job: StoredJob) -> None:
    rows = "\n".join(f"2026-03-{day:02d} 10:00,{300 + day % 3},1710" for day in range(1, 29))
    body = {"text": f"time,watts,rpm\n{rows}\n", "source": "logger", "setting": "as it runs"}
    seen = client.post("/api/log/look", json=body).json()
    assert seen["readings"] == 28 and client.get(log(client, job)).json()["answer"]["readings"] == 0
    assert client.post(f"{log(client, job)}/csv", json=body).json()["kept"] == 28
    again = client.post(f"{log(client, job)}/csv", json=body).json()
    assert (again["kept"], again["already"]) == (0, 28)
    assert not again["view"]["answer"]["drifts"]


def test_a_date_that_could_be_two_is_asked_for_by_its_field(client: TestClient) -> None:
    body = {"text": "time,amps\n03/04/2026 10:00,1\n05/04/2026 10:00,2\n", "source": "logger", "setting": "as it runs"}
    refused = client.post("/api/log/look", json=body)
    assert refused.status_code == 422 and refused.json()["field"] == "order"
    assert client.post("/api/log/look", json={**body, "order": "day-first"}).status_code == 200


def test_services_are_noted_removed_and_due_again(client: TestClient, job: StoredJob) -> None:
    body = {"kind": "filter", "at": "2026-03-01", "note": "clean", "due": "180 days", "who": "Ann"}
    view = client.post(f"{log(client, job)}/events", json=body).json()
    refused = client.post(f"{log(client, job)}/events", json={**body, "due": "six"})
    assert refused.status_code == 422 and refused.json()["code"] == "drift-log-interval-days"
    (event,) = client.get(log(client, job)).json()["events"]
    assert view["events"] == [event] and event["words"] == "Filter changed" and event["due"].startswith("2026-08-28")
    assert client.get("/api/visits").json()[0]["machine"] == job.job.machine.name
    assert client.delete(f"{log(client, job)}/events/{event['id']}").json()["events"] == []
    assert client.delete(f"{log(client, job)}/events/{event['id']}").status_code == 404


def test_a_watch_needs_a_panel_that_is_kept(client: TestClient, job: StoredJob) -> None:
    body = {"panel": "nowhere", "every_s": 60}
    assert client.put(f"{log(client, job)}/watch", json=body).status_code == 404
    added = client.post("/api/devices", json={"name": "Panel 9", "text": PROFILE, "host": "192.168.7.7", "port": 502})
    assert added.status_code == 201
    view = client.put(f"{log(client, job)}/watch", json={"panel": "Panel 9", "every_s": 60, "who": "Ann"}).json()
    assert view["watch"]["panel"] == "Panel 9"
    assert client.delete(f"{log(client, job)}/watch").json()["watch"] is None


@pytest.mark.parametrize(
    ("body", "words"),
    [
        ({"name": "", "code": "gull-panel", "host": "127.0.0.1"}, "needs a name"),
        ({"name": "x", "host": "127.0.0.1"}, "Choose a profile"),
        ({"name": "x", "code": "gull-panel", "host": "8.8.8.8"}, "not on this machine nor on a private network"),
        ({"name": "x", "code": "gull-panel", "host": "panel.example"}, "no address in figures"),
        ({"name": "x", "text": "{}", "host": "127.0.0.1"}, "correct the file"),
    ],
)
def test_a_device_that_may_not_be_read_is_not_kept(client: TestClient, body: dict[str, Any], words: str) -> None:
    answer = client.post("/api/devices", json=body)
    assert answer.status_code == 422 and words in answer.json()["sentence"]
    assert client.get("/api/devices").json() == []


def test_a_device_that_never_answered_shows_no_value_and_a_second_of_its_name_is_refused(client: TestClient) -> None:
    body = {"name": "Panel 9", "code": "gull-panel", "host": "127.0.0.1", "port": 9}
    device = client.post("/api/devices", json=body).json()
    assert client.post("/api/devices", json=body).status_code == 422
    asked = client.post(f"/api/devices/{device['id']}/ask").json()
    assert (
        says("client-connected-nothing-answers-does", asked["trouble"]) and not asked["fresh"] and asked["values"] == []
    )
    assert client.put(f"/api/devices/{device['id']}/trouble", json={"trouble": "silent"}).status_code == 422
    assert client.delete(f"/api/devices/{device['id']}").status_code == 204
    assert client.post(f"/api/devices/{device['id']}/ask").status_code == 404


def test_a_profile_that_overlaps_is_told_before_anything_is_kept(client: TestClient) -> None:
    data = json.loads(PROFILE)
    data["registers"].append({"role": "status", "address": 2, "kind": "input"})
    answer = client.post("/api/profiles/look", json={"text": json.dumps(data)})
    assert answer.status_code == 422 and "both lie on input register 2" in answer.json()["sentence"]
    assert client.post("/api/profiles/look", json={"text": PROFILE}).json()["kind"] == "meter"


def test_what_was_signed_is_read_printed_and_taken_out_whatever_changes_later(client: TestClient) -> None:
    stored = with_connection(keep_job)(Job.model_validate(BAGGAGE))
    path = f"/api/jobs/{stored.id}"
    body = {"revision": stored.revision, "who": "Ann", "role": "plant"}
    assert client.post(f"{path}/sign-off", json={**body, "who": ""}).status_code == 422
    view = client.post(f"{path}/sign-off", json=body).json()
    assert [line["who"] for line in view["signed"]] == ["Ann"]
    edit = {"revision": view["revision"], "path": "readings/s2/input_power", "text": "640 W", "units": "ip"}
    moved = client.post(f"{path}/changes", json=edit).json()
    assert moved["assessment"]["proof"]["verdict"] == "below"
    kept = client.get(f"{path}/signed/1").json()
    assert kept["newer"] and kept["signed"]["assessment"]["proof"]["verdict"] == "inside"
    report = client.get(f"{path}/signed/1/report").json()
    assert report["proof"]["signed"] == "Ann, plant" and report["revision"] == stored.revision
    for form, start in (("pdf", b"%PDF"), ("xlsx", b"PK"), ("json", b"{")):
        taken = client.get(f"{path}/signed/1/report.{form}")
        assert taken.status_code == 200 and taken.content.startswith(start)
    assert client.get(f"{path}/signed/2").status_code == 404
    assert client.get(f"{path}/report").json()["proof"]["signed"] is None


def test_what_was_signed_is_shown_byte_for_byte_whatever_program_and_wording_come_later(
    client: TestClient, monkeypatch: pytest.MonkeyPatch
) -> None:
    stored = with_connection(keep_job)(Job.model_validate(BAGGAGE))
    path = f"/api/jobs/{stored.id}"
    body = {"revision": stored.revision, "who": "Ann", "role": "plant", "zone": "Europe/Lisbon"}
    assert client.post(f"{path}/sign-off", json={**body, "zone": "Nowhere/At"}).status_code == 422
    client.post(f"{path}/sign-off", json=body)
    forms = {form: client.get(f"{path}/signed/1/report.{form}").content for form in ("pdf", "xlsx", "json")}
    shown = client.get(f"{path}/signed/1/report").content
    assert shown == forms["json"] and json.loads(shown)["date"].endswith("times in Europe/Lisbon")
    assert client.get(f"{path}/signed/1/since").json() == []
    # A later program words, draws and reckons otherwise, and cannot read what this one kept.
    for made in ("build_report", "write_pdf", "write_xlsx"):
        monkeypatch.setattr(f"modest_rotor.formats.signed_report.{made}", lambda *_: 1 / 0)
    monkeypatch.setattr("modest_rotor.api.report.write_pdf", lambda *_: b"%PDF other")
    with_connection(SignedRow.update(assessment={"an": "older form"}).execute)()
    signed._whole.cache.clear()
    client.put("/api/firm", json={"name": "Another Firm", "address": "elsewhere"})
    for form, kept in forms.items():
        assert client.get(f"{path}/signed/1/report.{form}").content == kept
        assert client.get(f"{path}/signed/1/report.{form}?units={json.loads(shown)['units']}").content == kept
    assert client.get(f"{path}/signed/1/report").content == shown
    assert says("signed-since-signed-numbers-kept", str(client.get(f"{path}/signed/1/since").json()))
    other = "ip" if json.loads(shown)["units"] == "si" else "si"
    assert client.get(f"{path}/signed/1/report.pdf?units={other}").content == b"%PDF other"
    # Of what an earlier program signed nothing was kept as shown: it is told anew, and says so.
    with_connection(SignedRow.update(report=None, pdf=None, sheet=None).execute)()
    anew = client.get(f"{path}/signed/1/report").json()
    assert says("api-proof-report-numbers-worked", anew["proof"]["signed"]) and says(
        "api-proof-report-times-utc", anew["date"]
    )


def under_todays_names(kept: Any, inside: str = "") -> Any:
    """What was signed then as it has to be read today. :param inside: the field that holds it."""
    if isinstance(kept, list):
        return [under_todays_names(one, inside) for one in kept]
    if not isinstance(kept, dict):
        return kept
    names = {"band": "uncertainty", "bands": "uncertainties", "way": "method", "told": "setting"}
    names["ways"] = "methods" if inside == "flows" else "procedures"
    return {names.get(name, name): under_todays_names(one, name) for name, one in kept.items()}


def test_what_was_signed_under_other_names_is_read_and_shown_whole(client: TestClient) -> None:
    stored = with_connection(keep_job)(Job.model_validate(BAGGAGE))
    path = f"/api/jobs/{stored.id}"
    client.post(f"{path}/sign-off", json={"revision": stored.revision, "who": "Ann", "role": "plant"})
    kept = json.loads(gzip.decompress(EARLIER.read_bytes()))
    assert kept["report"].count('"band"') > 50 and '"uncertainty"' not in kept["report"]
    with_connection(SignedRow.update(**kept).execute)()
    signed._whole.cache.clear()
    found = with_connection(signed.signed)(stored.id, 1)
    assert not found.anew
    assert found.assessment.model_dump(mode="json") == under_todays_names(kept["assessment"])
    assert client.get(f"{path}/signed/1/report").json() == under_todays_names(json.loads(kept["report"]))
    assert client.get(f"{path}/signed/1/report.json").content == kept["report"].encode()
    other = "ip" if json.loads(kept["report"])["units"] == "si" else "si"
    assert client.get(f"{path}/signed/1/report.pdf?units={other}").content.startswith(b"%PDF")


def test_a_loggers_watts_after_are_held_against_the_steps(client: TestClient) -> None:
    """By hand: 200 W for ten days are 48 kWh; amps make no energy."""
    stored = with_connection(keep_job)(Job.model_validate(BAGGAGE))
    rows = "\n".join(f"2026-01-{1 + hour // 24:02d} {hour % 24:02d}:00,200,1.1" for hour in range(240))
    body = {"text": f"time,watts,amps\n{rows}\n", "revision": stored.revision, "who": "Ann"}
    view = client.post(f"/api/jobs/{stored.id}/proof/log", json=body).json()
    assert view["document"]["proof"]["logged_energy"]["si"] == pytest.approx(48.0, rel=0.01)
    assert view["document"]["proof"]["logged_days"]["si"] == pytest.approx(10.0, rel=0.01)
    assert view["assessment"]["proof"]["logged"]
    amps = client.post(
        f"/api/jobs/{stored.id}/proof/log", json={**body, "column": "amps", "revision": view["revision"]}
    )
    assert amps.status_code == 422 and amps.json()["code"] == "commands-year-edits-holds-only"


@pytest.mark.slow
def test_the_demo_holds_a_finished_job_whose_planted_filter_fault_is_found(client: TestClient) -> None:
    assert load_demo_once() == 9
    visits = client.get("/api/visits").json()
    assert [visit["machine"] for visit in visits] == ["Baggage hall air handler", "Ticket office fan coil"]
    assert visits[0]["drifts"] and says("table-causes-cause-filter-or-coil-loaded", visits[0]["why"][0])
    calendar = client.get("/api/visits.ics?units=ip")
    assert calendar.headers["content-type"].startswith("text/calendar")
    assert calendar.text.count("BEGIN:VEVENT") == sum(visit["due"] is not None for visit in visits) >= 1
    assert "SUMMARY:Ticket office fan coil" in calendar.text
    view = client.get(f"/api/machines/{visits[0]['machine_id']}/log").json()
    assert view["answer"]["causes"][0]["cause"] == "filter or coil loaded"
    assert view["since"] > view["signed"]["at"]
    aging = client.get(f"/api/machines/{visits[1]['machine_id']}/log").json()
    assert says("drift-answer-capacitor-words-run-capacitor-stands-label", aging["answer"]["capacitor"])
    leaves = aging["capacitor_leaves"]
    assert leaves["earliest"] < leaves["likely"] < leaves["latest"] and visits[1]["due"] == leaves["earliest"]
    board = [job for site in client.get("/api/board").json() for job in site["jobs"]]
    assert [job["machine"] for job in board if job["drifts"]] == ["Baggage hall air handler"]
