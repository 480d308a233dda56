"""Jobs over HTTP: begun, edited, previewed, undone, taken out and in; and every refusal a status with a sentence."""

from __future__ import annotations

from typing import Any

import pytest
from fastapi.testclient import TestClient

from modest_rotor.store.jobs import StoredJob
from tests.jobs import KRAUSE

pytestmark = pytest.mark.database


def change(client: TestClient, job: StoredJob, path: str, revision: str | None = None, **what: Any) -> Any:
    body = {"revision": revision or job.revision, "path": path, "units": "si", **what}
    return client.post(f"/api/jobs/{job.id}/changes", json=body)


def test_a_job_is_begun_with_nothing_but_a_name(client: TestClient) -> None:
    answer = client.post("/api/jobs", json={"machine_name": " Fan over the quay "})
    assert answer.status_code == 201
    view = answer.json()
    assert view["machine"]["name"] == "Fan over the quay" and view["site_name"] == "Jobs without a site"
    assert client.get("/api/board").json()[0]["jobs"][0]["line"]["sentence"] == ["Only its name is known."]
    refused = client.post("/api/jobs", json={"machine_name": "  "})
    assert refused.status_code == 422 and refused.json()["code"] == "api-jobs-begin"


def test_typed_text_is_read_saved_and_answered_with_what_follows(client: TestClient, job: StoredJob) -> None:
    view = change(client, job, "readings/s1/current", text="3.1 A", who="Ines").json()
    entry = view["document"]["readings"][0]["current"]
    assert (entry["typed"], entry["si"]) == ("3.1 A", 3.1)
    assert view["undo_label"] == "Line amps, 3.1 A"
    assert view["assessment"]["sets"][0]["methods"][2]["load"]["figure"]
    (named,) = client.get(f"/api/jobs/{job.id}/changes").json()
    assert (named["who"], named["path"], named["kind"]) == ("Ines", "readings/s1/current", "edit")
    assert named["before"]["typed"] == "3.19 A"


def test_a_preview_saves_nothing(client: TestClient, job: StoredJob) -> None:
    body = {"path": "readings/s1/airflow", "text": "400", "units": "si"}
    seen = client.post(f"/api/jobs/{job.id}/preview", json=body).json()
    assert seen["entry"]["si"] == 0.4
    assert seen["assessment"]["balance"]["points"][0]["flow"]["value"] == 0.4
    now = client.get(f"/api/jobs/{job.id}").json()
    assert now["revision"] == job.revision
    assert now["assessment"]["balance"]["points"][0]["flow"]["value"] == 0.51


def test_a_preview_draws_on_the_last_fit_and_says_so_until_it_is_asked_to_refine(
    client: TestClient, job: StoredJob
) -> None:
    def looked(path: str, text: str, refined: bool) -> Any:
        body = {"path": path, "text": text, "units": "si", "refined": refined}
        return client.post(f"/api/jobs/{job.id}/preview", json=body).json()["assessment"]

    at_once, refined = (looked("nameplate/rated_current", "3.1 A", refined) for refined in (False, True))
    assert at_once["refining"] and not refined["refining"]
    power = [seen["sets"][0]["shaft_power"]["figure"]["value"] for seen in (at_once, refined)]
    assert power[0] != power[1] and power[0] == pytest.approx(power[1], rel=0.1)
    assert not looked("duty/steps/s1/hours", "1000 h", False)["refining"]  # the fit does not depend on it


def test_what_each_change_does_to_the_readings_of_a_job(client: TestClient, job: StoredJob) -> None:
    table = client.get(f"/api/jobs/{job.id}/effects").json()
    assert table["waits"] is None and len(table["rows"]) == 11
    assert table == client.get(f"/api/jobs/{job.id}/effects").json()
    assert client.get("/api/jobs/999999/effects").status_code == 404


@pytest.mark.parametrize(
    ("path", "text", "words"),
    [
        ("readings/s1/current", "230 V", "unit of voltage"),
        ("readings/s1/current", "1e999", "finite"),
        ("readings/s1/current", "-3", "lies between"),
        ("nameplate/frequency", "0 Hz", "lies between"),
        ("nameplate/rated_speed", "1e9 rpm", "lies between"),
        ("nameplate/rated_power", "lots", "cannot be read"),
        ("nameplate/nothing", "1", "no place called"),
    ],
)
def test_bad_input_is_422_with_the_field_and_a_sentence(
    client: TestClient, job: StoredJob, path: str, text: str, words: str
) -> None:
    answer = change(client, job, path, text=text)
    assert answer.status_code == 422
    assert answer.json()["field"] == path and words in answer.json()["sentence"]
    seen = client.post(f"/api/jobs/{job.id}/preview", json={"path": path, "text": text}).json()
    assert seen["problem"] == answer.json() and seen["assessment"] is None
    assert client.get(f"/api/jobs/{job.id}").json()["revision"] == job.revision


def test_a_stale_window_gets_a_conflict_and_nothing_is_lost(client: TestClient, job: StoredJob) -> None:
    assert change(client, job, "call/notes", text="from one").status_code == 200
    answer = change(client, job, "call/notes", text="from two")
    assert answer.status_code == 409 and answer.json()["code"] == "store-jobs-locked-window-out"
    # how long ago needs no clock: the reader's is not the server's
    assert "store-jobs-locked-window-out" in answer.json()["codes"] and "UTC" not in answer.json()["sentence"]
    assert client.get(f"/api/jobs/{job.id}").json()["document"]["call"]["notes"] == "from one"


def test_items_are_added_removed_and_brought_back(client: TestClient, job: StoredJob) -> None:
    added = client.post(f"/api/jobs/{job.id}/items/duty/steps", json={"revision": job.revision}).json()
    assert [step["id"] for step in added["document"]["duty"]["steps"]] == ["s1", "s2", "s3"]
    assert added["undo_label"] == "step 3 added"
    removed = client.delete(f"/api/jobs/{job.id}/items/readings/s1", params={"revision": added["revision"]}).json()
    assert removed["document"]["readings"] == []
    back = client.post(f"/api/jobs/{job.id}/undo", json={"revision": removed["revision"]}).json()
    assert back["document"]["readings"][0]["name"] == "slip 0.05" and back["redo_label"] == "set removed"
    again = client.post(f"/api/jobs/{job.id}/redo", json={"revision": back["revision"]}).json()
    assert again["document"]["readings"] == []
    assert client.post(f"/api/jobs/{job.id}/items/plate", json={"revision": again["revision"]}).status_code == 422


def test_steps_end_at_twenty_four(client: TestClient, job: StoredJob) -> None:
    revision = job.revision
    for _ in range(22):
        revision = client.post(f"/api/jobs/{job.id}/items/duty/steps", json={"revision": revision}).json()["revision"]
    answer = client.post(f"/api/jobs/{job.id}/items/duty/steps", json={"revision": revision})
    assert answer.status_code == 422 and "24" in answer.json()["sentence"]


def test_a_job_goes_out_and_in_as_a_file(client: TestClient, job: StoredJob) -> None:
    out = client.get(f"/api/jobs/{job.id}/file")
    assert out.headers["content-disposition"] == 'attachment; filename="krause-quarter-horse-on-a-fan.json"'
    taken = client.post("/api/jobs/file", json={"job": out.json()})
    assert taken.status_code == 201 and taken.json()["id"] != job.id
    assert taken.json()["document"] == client.get(f"/api/jobs/{job.id}").json()["document"]
    refused = client.post("/api/jobs/file", json={"job": {**KRAUSE, "version": 9}})
    assert refused.status_code == 422 and refused.json()["field"] == "version"


def test_a_file_is_assessed_without_being_kept(client: TestClient) -> None:
    answer = client.post("/api/assess", json={"job": KRAUSE})
    assert answer.status_code == 200 and answer.json()["plate"]["poles"]["figure"]["value"] == 4
    assert client.get("/api/board").json() == []


def test_a_null_character_is_refused_in_words(client: TestClient, job: StoredJob) -> None:
    answers = [
        change(client, job, "call/notes", text="a\0b"),
        change(client, job, "call/notes", value="a\0b"),
        change(client, job, "call/notes", text="a", who="\0"),
        client.post("/api/jobs", json={"machine_name": "\0"}),
        client.post("/api/jobs/file", json={"job": {**KRAUSE, "site": {"name": "a\0"}}}),
    ]
    for answer in answers:
        assert answer.status_code == 422 and "sheet-null-character" in answer.json()["codes"]


@pytest.mark.parametrize("method", ["get", "post"])
def test_an_unknown_job_is_404(client: TestClient, method: str) -> None:
    route = "/api/jobs/4711" if method == "get" else "/api/jobs/4711/undo"
    answer = client.request(method, route, json={"revision": "1.1"} if method == "post" else None)
    assert answer.status_code == 404 and "no job 4711" in answer.json()["sentence"]


def test_text_keeps_a_script_as_text(client: TestClient, job: StoredJob) -> None:
    script = "<img src=x onerror=alert(1)>"
    assert change(client, job, "call/notes", text=script).json()["document"]["call"]["notes"] == script


def test_a_set_added_from_proof_is_one_of_the_machine_set_up_anew(client: TestClient, job: StoredJob) -> None:
    added = client.post(f"/api/jobs/{job.id}/items/readings?stage=after", json={"revision": job.revision}).json()
    assert added["document"]["readings"][-1]["stage"] == "after"
    plain_one = client.post(f"/api/jobs/{job.id}/items/readings", json={"revision": added["revision"]}).json()
    assert plain_one["document"]["readings"][-1]["stage"] is None
    assert (
        client.post(
            f"/api/jobs/{job.id}/items/readings?stage=never", json={"revision": plain_one["revision"]}
        ).status_code
        == 422
    )


def test_a_job_begun_by_its_plate_is_ready_for_a_first_answer(client: TestClient) -> None:
    line = "HP 1/4 V 110 A 2.9 RPM 1725 HZ 60 PH 1 MFD 15.4"
    view = client.post("/api/jobs", json={"machine_name": "By its plate", "line": line}).json()
    assert view["document"]["nameplate"]["rated_current"]["si"] == 2.9 and len(view["document"]["readings"]) == 1
    said = {"revision": view["revision"], "building": "office air handler", "who": "Ann"}
    ready = client.post(f"/api/jobs/{view['id']}/first", json=said).json()
    assert (
        ready["document"]["duty"]["steps"][0]["hours"]["si"] == 3120
        and ready["undo_label"] == "the hours of a year, assumed"
    )
    again = client.post(f"/api/jobs/{view['id']}/first", json={**said, "revision": ready["revision"]}).json()
    assert again["document"] == ready["document"]
    stale = client.post(f"/api/jobs/{view['id']}/first", json=said)
    assert stale.status_code == 409
    bare = client.post("/api/jobs", json={"machine_name": "Bare"}).json()
    refused = client.post(f"/api/jobs/{bare['id']}/first", json={"revision": bare["revision"], "building": "a castle"})
    assert refused.status_code == 422 and refused.json()["code"] == "first-year-of-there-template"


def nodes_of(answer: Any) -> Any:
    """What was sent in nodes, and nothing whole."""
    assert answer.status_code == 200 and "assessment" not in answer.json()
    return answer.json()


def test_a_page_gets_what_it_shows_and_after_an_edit_what_of_it_is_new(client: TestClient, job: StoredJob) -> None:
    wanted = {"nodes-wanted": "rail,plate,set,balance"}
    first = nodes_of(client.get(f"/api/jobs/{job.id}", headers=wanted))
    assert first["nodes"].keys() == {"rail", "plate", "balance", "set/s1"} and first["document"]["nameplate"]
    whole = client.get(f"/api/jobs/{job.id}").json()["assessment"]
    assert first["nodes"]["rail"] == whole["rail"] and first["nodes"]["set/s1"] == whole["sets"][0]
    held = {**wanted, "nodes-held": ",".join(first["tags"][name] for name in first["nodes"])}
    assert nodes_of(client.get(f"/api/jobs/{job.id}", headers=held))["nodes"] == {}
    body = {"revision": job.revision, "path": "readings/s1/airflow", "text": "400", "units": "si"}
    after = nodes_of(client.post(f"/api/jobs/{job.id}/changes", json=body, headers=held))
    assert {"set/s1", "balance"} <= after["nodes"].keys() and "plate" not in after["nodes"]
    assert after["tags"]["plate"] == first["tags"]["plate"] and after["revision"] != first["revision"]


def test_a_preview_is_told_in_nodes_as_well(client: TestClient, job: StoredJob) -> None:
    wanted = {"nodes-wanted": "balance,plate"}
    first = nodes_of(client.get(f"/api/jobs/{job.id}", headers=wanted))
    held = {**wanted, "nodes-held": ",".join(first["tags"].values())}
    body = {"path": "readings/s1/airflow", "text": "400", "units": "si"}
    seen = nodes_of(client.post(f"/api/jobs/{job.id}/preview", json=body, headers=held))
    assert seen["entry"]["si"] == 0.4 and seen["problem"] is None
    assert seen["nodes"].keys() == {"balance"}
    assert seen["nodes"]["balance"]["points"][0]["flow"]["value"] == 0.4
    refused = client.post(f"/api/jobs/{job.id}/preview", json=body | {"text": "4?"}, headers=held).json()
    assert refused["problem"]["sentence"] and "nodes" not in refused


def test_what_a_page_says_it_shows_is_no_way_in(client: TestClient, job: StoredJob) -> None:
    """Names that there are not, doubled, or long: what there is of them is sent, and nothing breaks."""
    odd = {"nodes-wanted": "rail,rail,no such,../../etc,option/,", "nodes-held": ",x," + "y" * 4000}
    assert nodes_of(client.get(f"/api/jobs/{job.id}", headers=odd))["nodes"].keys() == {"rail"}
