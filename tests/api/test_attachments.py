"""Photographs, CSV, marks, the plate's line, meters and the ranking over HTTP: what is kept, and what is refused."""

from __future__ import annotations

from typing import Any

import pytest
from fastapi.testclient import TestClient

from modest_rotor.api.contracts import Preview
from modest_rotor.core.assess import assess
from modest_rotor.core.changes import with_change
from modest_rotor.store.jobs import StoredJob
from tests.formats.test_photo import picture

pytestmark = pytest.mark.database
JPEG = {"content-type": "image/jpeg"}


def now(client: TestClient, job: StoredJob) -> Any:
    return client.get(f"/api/jobs/{job.id}").json()


def test_a_photograph_is_kept_listed_shown_and_can_come_back(client: TestClient, job: StoredJob) -> None:
    at = f"/api/jobs/{job.id}/photos"
    kept = client.post(f"{at}?of=plate&who=Ines", content=picture(place=True), headers=JPEG)
    assert kept.status_code == 201 and (kept.json()["width"], kept.json()["who"]) == (40, "Ines")
    shown = client.get(f"{at}/{kept.json()['id']}")
    assert shown.headers["content-type"] == "image/jpeg" and shown.content.startswith(b"\xff\xd8")
    assert client.post(f"{at}/{kept.json()['id']}/removed", json={"removed": True}).json()["removed"]
    assert client.get(at).json()[0]["removed"]
    assert not client.post(f"{at}/{kept.json()['id']}/removed", json={"removed": False}).json()["removed"]


def test_a_script_is_no_photograph_and_nothing_is_kept(client: TestClient, job: StoredJob) -> None:
    at = f"/api/jobs/{job.id}/photos"
    refused = client.post(at, content=b"<script>alert(1)</script>", headers=JPEG)
    assert refused.status_code == 422 and refused.json()["code"] == "photo-clean-photo-photograph-jpeg"
    assert client.post(at, content=b"\xff" * 13_000_000, headers=JPEG).status_code == 413
    assert client.get(at).json() == []
    assert client.post("/api/jobs/99999/photos", content=picture(), headers=JPEG).status_code == 404
    assert client.get(f"{at}/99999").status_code == 404


def test_sets_go_out_and_in_as_csv_in_one_change(client: TestClient, job: StoredJob) -> None:
    out = client.get(f"/api/jobs/{job.id}/readings.csv")
    assert out.text.startswith("\ufeff") and "110 V" in out.text
    text = "Line amps,Speed\n3.0,1715\nbad,1\n2.9,1720"
    look = client.post(f"/api/jobs/{job.id}/readings-csv/look", json={"text": text}).json()
    assert look["good"] == 2 and look["bad"][0]["line"] == 3 and "sets" not in look
    assert now(client, job)["revision"] == job.revision  # looking saves nothing
    body = {"text": text, "revision": job.revision, "who": "Ines"}
    view = client.post(f"/api/jobs/{job.id}/readings-csv", json=body).json()
    assert len(view["document"]["readings"]) == 3 and view["undo_label"] == "2 sets from CSV"
    undone = client.post(f"/api/jobs/{job.id}/undo", json={"revision": view["revision"]}).json()
    assert len(undone["document"]["readings"]) == 1
    stale = client.post(f"/api/jobs/{job.id}/readings-csv", json=body)
    assert stale.status_code == 409
    nothing = client.post(f"/api/jobs/{job.id}/readings-csv", json={**body, "text": "Line amps\nbad"})
    assert nothing.status_code == 422


def test_the_plates_line_fills_the_fields_in_one_change(client: TestClient, job: StoredJob) -> None:
    line = {
        "revision": job.revision,
        "path": "nameplate/line",
        "text": "1/3 HP 115V 4.2A 1725RPM 60HZ 1PH 15uF mystery",
    }
    view = client.post(f"/api/jobs/{job.id}/changes", json=line).json()
    pieces = view["assessment"]["plate"]["line"]
    assert pieces[-1] == {"text": "mystery", "taken_for": None, "refused": None}
    filled = client.post(f"/api/jobs/{job.id}/plate-line", json={"revision": view["revision"]}).json()
    assert filled["document"]["nameplate"]["rated_power"]["typed"] == "1/3 hp"
    assert filled["document"]["nameplate"]["line"].endswith("mystery")  # what was not recognised stays
    again = {"revision": filled["revision"], "path": "nameplate/line", "text": "nothing known"}
    unknown = client.post(f"/api/jobs/{job.id}/changes", json=again).json()
    refused = client.post(f"/api/jobs/{job.id}/plate-line", json={"revision": unknown["revision"]})
    assert refused.status_code == 422 and refused.json()["code"] == "commands-fields-edits-nothing-line"


def test_how_numbers_are_written_is_a_sites_own_and_decides_what_is_typed_there(
    client: TestClient, job: StoredJob
) -> None:
    edit = {"revision": job.revision, "path": "nameplate/rated_current", "text": "1.200", "units": "si"}
    asked = client.post(f"/api/jobs/{job.id}/changes", json=edit)
    assert asked.status_code == 422 and "may be 1.2 or 1200 A" in asked.json()["sentence"]
    for style, amps in (("comma", 1200.0), ("point", 1.2)):
        said = client.put(f"/api/jobs/{job.id}/site/numbers", json={"numbers": style})
        assert said.json()["site_numbers"] == style
        view = client.post(f"/api/jobs/{job.id}/changes", json={**edit, "revision": said.json()["revision"]}).json()
        assert view["document"]["nameplate"]["rated_current"]["si"] == amps
    assert client.put(f"/api/jobs/{job.id}/site/numbers", json={"numbers": "both"}).status_code == 422
    read = client.get(f"/api/jobs/{job.id}").json()
    assert read["document"]["nameplate"]["rated_current"]["typed"] == "1.200" and read["site_numbers"] == "point"
    (other,) = [one["site"] for one in client.get("/api/board").json() if one["id"] == read["site_id"]]
    assert other["numbers"] == "point"


def test_a_finding_is_marked_and_its_history_stays(client: TestClient, job: StoredJob) -> None:
    weak = {"revision": job.revision, "path": "readings/s1/capacitance", "text": "8 µF"}
    view = client.post(f"/api/jobs/{job.id}/changes", json=weak).json()
    mark = {"revision": view["revision"], "finding": "capacitor_off_label/s1", "state": "confirmed", "who": "Ines"}
    view = client.post(f"/api/jobs/{job.id}/marks", json=mark).json()
    view = client.post(
        f"/api/jobs/{job.id}/marks", json={**mark, "revision": view["revision"], "state": "fixed"}
    ).json()
    found = next(one for one in view["assessment"]["findings"] if one["key"] == mark["finding"])
    assert [one["state"] for one in found["marks"]] == ["confirmed", "fixed"] and found["marks"][0]["who"] == "Ines"
    gone = client.post(f"/api/jobs/{job.id}/marks", json={**mark, "revision": view["revision"], "finding": "nothing"})
    assert gone.status_code == 422 and gone.json()["code"] == "core-statements-mark-finding-finding-there"


def test_meters_are_set_once_for_a_person(client: TestClient) -> None:
    assert client.get("/api/people/Ines/meters").status_code == 404
    kept = client.put("/api/people/Ines/meters", json={"meters": {"clamp_meter": "1.5 %"}})
    assert kept.json()["owner"] == "Ines"
    client.put("/api/people/Ines/meters", json={"meters": {"clamp_meter": "1 %"}})
    assert client.get("/api/people/Ines/meters").json()["clamp_meter"]["si"] == 0.01


def test_a_set_is_copied_dated_and_never_of_the_future(client: TestClient, job: StoredJob) -> None:
    at = f"/api/jobs/{job.id}/items/readings"
    view = client.post(f"{at}?like=s1", json={"revision": job.revision, "who": "Ines"}).json()
    copy = view["document"]["readings"][1]
    assert (
        copy["known_good"] is None and copy["current"]["si"] == 3.19 and copy["taken_by"] == "Ines" and copy["taken_at"]
    )
    ahead = {"revision": view["revision"], "path": "readings/s2/taken_at", "text": "2099-01-01 10:00"}
    refused = client.post(f"/api/jobs/{job.id}/changes", json=ahead)
    assert refused.status_code == 422 and refused.json()["code"] == "readings-refuse-future"
    wrong = client.post(f"/api/jobs/{job.id}/changes", json={**ahead, "text": "2026-02-30 10:00"})
    assert wrong.status_code == 422 and "readings-no-time" in wrong.json()["codes"]
    two = {"revision": view["revision"], "path": "readings/s2/frequency", "text": "50-60 Hz"}
    assert "readings-two-frequencies" in client.post(f"/api/jobs/{job.id}/changes", json=two).json()["codes"]


def test_the_ranking_and_the_rules_over_http(client: TestClient, job: StoredJob) -> None:
    causes_of = client.get(f"/api/jobs/{job.id}/causes").json()
    assert causes_of["waits"] is None or "waits" in causes_of["waits"]
    rules = client.get("/api/rules").json()
    assert len(rules) > 40 and all(rule["source"] and rule["threshold"] for rule in rules)


def test_a_preview_written_in_parts_is_what_its_model_says(client: TestClient, job: StoredJob) -> None:
    for text in ("3.1", "3.05"):  # the second time parts are found written already
        draft = {"path": "readings/s1/current", "text": text, "units": "si", "refined": True}
        seen = client.post(f"/api/jobs/{job.id}/preview", json=draft).json()
        changed = with_change(job.job, draft["path"], seen["entry"])  # type: ignore[arg-type]
        assert Preview.model_validate(seen).model_dump(mode="json") == {
            "entry": seen["entry"], "assessment": assess(changed).model_dump(mode="json"), "problem": None,
        }  # fmt: skip
