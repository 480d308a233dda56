"""Options, duty, catalogue and report over HTTP: everything that changes a job is one change, everything refused a sentence."""

from __future__ import annotations

import io
from importlib.resources import files
from typing import Any

import pytest
from fastapi.testclient import TestClient
from pypdf import PdfReader

from modest_rotor.demo.load import load_catalogue_once
from modest_rotor.store.jobs import StoredJob
from tests.formats.test_catalogue_files import MOTOR
from tests.formats.test_logger_csv import log, rows
from tests.said import says

pytestmark = pytest.mark.database

SHIPPED = files("modest_rotor.demo").joinpath("catalogue.csv").read_text(encoding="utf-8")


def seen(client: TestClient, job: StoredJob) -> Any:
    return client.get(f"/api/jobs/{job.id}").json()


def post(client: TestClient, job: StoredJob, route: str, **body: Any) -> Any:
    return client.post(
        f"/api/jobs/{job.id}/{route}", json={"revision": seen(client, job)["revision"], "who": "Ines", **body}
    )


def option(view: Any, letter: str) -> Any:
    return next(one for one in view["assessment"]["options"]["options"] if one["letter"] == letter)


def test_the_shipped_catalogue_is_loaded_once_and_what_was_taken_out_stays_out(client: TestClient) -> None:
    assert load_catalogue_once() >= 30
    assert client.delete("/api/catalogue/reg-5a-230").status_code == 204
    assert load_catalogue_once() == 0
    assert "reg-5a-230" not in {product["code"] for product in client.get("/api/catalogue").json()}
    gone = client.delete("/api/catalogue/reg-5a-230")
    assert gone.status_code == 404 and gone.json()["code"] == "store-catalogue-remove-product"


def test_an_entry_is_added_changed_and_refused_with_its_reason(client: TestClient) -> None:
    kept = client.put("/api/catalogue/test-motor", json={"product": MOTOR})
    assert kept.status_code == 200 and kept.json()["price"]["si"] == 300
    changed = client.put("/api/catalogue/test-motor", json={"product": MOTOR | {"price": "320"}})
    assert changed.json()["price"]["si"] == 320
    wrong = client.put("/api/catalogue/test-motor", json={"product": MOTOR | {"least_efficiency": "90 %"}})
    assert wrong.status_code == 422 and says("core-catalogue-efficiencies-guarantees-more", wrong.json()["sentence"])
    (still,) = client.get("/api/catalogue").json()
    assert still["price"]["si"] == 320 and still["least_efficiency"]["si"] == 0.76


def test_a_file_is_looked_at_first_and_only_its_sound_rows_are_written(client: TestClient) -> None:
    lines = SHIPPED.splitlines()
    text = "\n".join([lines[0], lines[1], lines[2], "bad-one,motor,Nothing else"])
    told = client.post("/api/catalogue/look", json={"text": text}).json()
    assert len(told["new"]) == 2 and told["refused"][0]["row"] == 4
    assert client.get("/api/catalogue").json() == []
    client.post("/api/catalogue/file", json={"text": text})
    assert len(client.get("/api/catalogue").json()) == 2
    nothing = client.post("/api/catalogue/file", json={"text": lines[0] + "\nbad-one,motor,Nothing else"})
    assert nothing.status_code == 422 and nothing.json()["code"] == "api-catalogue-take"


@pytest.mark.parametrize("form", ["csv", "json"])
def test_the_whole_catalogue_goes_out_and_in_again(client: TestClient, form: str) -> None:
    client.post("/api/catalogue/file", json={"text": SHIPPED})
    text = client.get(f"/api/catalogue/file/{form}").text
    told = client.post("/api/catalogue/look", json={"text": text}).json()
    assert not told["refused"] and not told["new"] and not told["replaced"]
    assert client.get("/api/catalogue/schema").json()["title"] == "CatalogueFile"


def test_an_option_is_added_with_its_own_copy_of_the_product(client: TestClient, job: StoredJob) -> None:
    client.put("/api/catalogue/test-motor", json={"product": MOTOR})
    view = post(client, job, "options", kind="torque", code="test-motor").json()
    assert option(view, "E")["product"] == "Test motor"
    client.delete("/api/catalogue/test-motor")
    assert option(seen(client, job), "E")["product"] == "Test motor"
    assert post(client, job, "options", kind="keep").status_code == 422
    assert post(client, job, "options", kind="drive", code="no-such-thing").status_code == 404
    undone = post(client, job, "undo").json()
    assert len(undone["assessment"]["options"]["options"]) == 4


def test_a_product_of_another_kind_is_refused_by_the_server_too(client: TestClient, job: StoredJob) -> None:
    client.put("/api/catalogue/test-motor", json={"product": MOTOR})
    for kind in ("external-rotor fan", "same kind"):
        assert "test-motor" not in {one["code"] for one in client.get("/api/catalogue", params={"kind": kind}).json()}
    taps = client.get("/api/catalogue", params={"kind": "torque"}).json()
    assert [one["code"] for one in taps] == ["test-motor"]
    refused = post(client, job, "options", kind="circulator, constant speed", code="test-motor")
    assert refused.status_code == 422 and refused.json()["code"] == "candidates-edits-cannot-stand"
    assert len(seen(client, job)["document"]["options"]["candidates"]) == 3


def test_a_stop_is_answered_for_by_name_and_reason_or_not_at_all(client: TestClient, job: StoredJob) -> None:
    post(client, job, "changes", path="options/fitting/listing_allows", value="no", units="si")
    assert option(seen(client, job), "C")["stop"]
    said = {"option": "electronic", "check": "listing", "name": "Ines", "reason": "no listed appliance"}
    for missing in ("name", "reason"):
        refused = post(client, job, "waivers", **{**said, missing: " "})
        assert refused.status_code == 422 and refused.json()["code"] == "core-statements-answer-for-stop-stop-answered"
    view = post(client, job, "waivers", **said).json()
    assert option(view, "C")["stop"] is None
    (waiver,) = view["document"]["options"]["waivers"]
    assert waiver["who"] == "Ines" and waiver["at"]


def test_a_stop_that_nobody_may_waive_is_refused(client: TestClient, job: StoredJob) -> None:
    client.put("/api/catalogue/test-motor", json={"product": MOTOR})
    view = post(client, job, "options", kind="torque", code="test-motor").json()  # 230 V; 110 V measured
    wrong = option(view, "E")
    assert wrong["stop"]
    answer = post(client, job, "waivers", option=wrong["id"], check="volts", name="Anybody", reason="it will do")
    assert answer.status_code == 422 and answer.json()["code"] == "core-statements-answer-for-stop-nobody-can"
    assert not seen(client, job)["document"]["options"]["waivers"]


def test_a_logger_s_year_is_looked_at_then_taken_over_in_one_change(client: TestClient, job: StoredJob) -> None:
    text = log(rows(2000))
    told = client.post("/api/duty/log/look", json={"text": text}).json()
    assert told["year"]["run_fraction"]["value"] == pytest.approx(1 / 3, abs=0.01)
    view = post(client, job, "duty/log", text=text).json()
    step = view["document"]["duty"]["steps"][-1]
    assert step["hours"]["si"] == pytest.approx(2920, rel=0.02)
    assert step["hours_from"] == "logger" and step["hours_spread"]["si"] > 0
    assert view["document"]["duty"]["starts"]["si"] == pytest.approx(8760, rel=0.02)
    assert says("api-duty-take-year", view["document"]["duty"]["logged"])
    assert len(post(client, job, "undo").json()["document"]["duty"]["steps"]) == 2


def test_a_file_that_is_no_log_is_a_sentence(client: TestClient) -> None:
    answer = client.post("/api/duty/log/look", json={"text": "nothing"})
    assert answer.status_code == 422 and answer.json()["code"] == "logger-csv-table-of-log-head"


def test_a_template_marks_its_hours_assumed(client: TestClient, job: StoredJob) -> None:
    buildings = [template["building"] for template in client.get("/api/duty-templates").json()]
    assert "heating circulator" in buildings
    view = post(client, job, "duty/template", building="house air handler").json()
    assert [step["hours_from"] for step in view["document"]["duty"]["steps"][2:]] == ["template"] * 2
    assert post(client, job, "duty/template", building="a castle").status_code == 422


def test_the_report_goes_out_in_three_forms(client: TestClient, job: StoredJob) -> None:
    post(client, job, "changes", path="decision/chosen", value="electronic", units="si")
    post(client, job, "changes", path="decision/why", text="It halves the watts.", units="si")
    told = client.get(f"/api/jobs/{job.id}/report").json()
    assert told["options"][2]["chosen"]
    pdf = client.get(f"/api/jobs/{job.id}/report.pdf", params={"units": "ip"})
    assert (
        pdf.headers["content-type"] == "application/pdf"
        and "krause-quarter-horse" in pdf.headers["content-disposition"]
    )
    assert "It halves the watts." in PdfReader(io.BytesIO(pdf.content)).pages[0].extract_text()
    assert client.get(f"/api/jobs/{job.id}/report.xlsx").content[:2] == b"PK"
    assert client.get(f"/api/jobs/{job.id}/report.json").json()["format"] == "modest-rotor report"
    assert client.get("/api/jobs/999999/report.pdf").status_code == 404
    assert client.get(f"/api/jobs/{job.id}/report.doc").status_code == 422


def test_what_a_loading_filter_does_is_asked_for_by_itself_for_a_state_not_saved_yet(
    client: TestClient, job: StoredJob
) -> None:
    """The same as the saved state gives; a text that is no share is refused in words, and a job without a machine has none."""
    route = f"/api/jobs/{job.id}/loaded"
    dragged = client.get(route, params={"resistance_factor": "200 %"}).json()
    assert dragged and all(one["asked"]["factor"] == 2.0 for one in dragged)
    assert client.get(route).json()[0]["asked"]["factor"] == 1.4
    assert post(client, job, "changes", path="options/resistance_factor", text="200 %", units="si").status_code == 200
    assert client.get(route).json() == dragged
    refused = client.get(route, params={"resistance_factor": "200 hp"})
    assert refused.status_code == 422 and "hp" in refused.text
    assert client.get("/api/jobs/999999/loaded").status_code == 404
