"""The Board over HTTP: found, filtered, put away and brought back, copied, taken out and in as many; sites and whose they are."""

from __future__ import annotations

import io
import json
import zipfile
from datetime import UTC, datetime, timedelta
from typing import Any

import pytest
from fastapi.testclient import TestClient

from modest_rotor.core.job import Job
from modest_rotor.core.phrase import Figure
from modest_rotor.core.site import site_energy
from modest_rotor.formats import job_archive
from modest_rotor.formats.job_archive import ArchiveRefused, read_archive, write_archive
from modest_rotor.store.database import database, with_connection
from modest_rotor.store.jobs import StoredJob, keep_job
from modest_rotor.store.models import ChangeRow, JobRow, MachineRow, SignedRow
from modest_rotor.store.shelves import empty_bin
from tests.core.setup.test_setup_answer import HALL, WAITING, demo
from tests.jobs import KRAUSE, changed
from tests.said import refused_with

pytestmark = pytest.mark.database


@pytest.fixture
def three(client: TestClient) -> dict[str, int]:
    """Three jobs on two sites, one with a stop."""
    told = {"hall": HALL, "waiting": WAITING, "kitchen": demo("kitchen_extract_fan")}
    return {name: with_connection(keep_job)(Job.model_validate(data)).id for name, data in told.items()}


def found(client: TestClient, **ask: Any) -> list[int]:
    answer = client.get("/api/board", params=ask)
    assert answer.status_code == 200, answer.text
    shown = [job["id"] for site in answer.json() for job in site["jobs"]]
    assert int(answer.headers["x-total-count"]) == len(shown)
    return shown


def test_a_job_is_found_by_anything_that_was_typed_into_it(client: TestClient, three: dict[str, int]) -> None:
    job = three["hall"]
    revision = client.get(f"/api/jobs/{job}").json()["revision"]
    for path, text in (("call/notes", "Rattles when the Ferry leaves"), ("decision/made_by", "Ottoline Quay")):
        edit = {"revision": revision, "path": path, "text": text}
        revision = client.post(f"/api/jobs/{job}/changes", json=edit).json()["revision"]
    for words in ("rattles", "RATTL", "ottoline", "ferry leaves", "quay rattles", "hall supply"):
        assert job in found(client, find=words), words
    assert found(client, find="rattles nothing") == [] and found(client, find="attles") == []
    assert set(found(client, find="HP 3/4")) == {three["waiting"]}  # off the plate, as it was typed
    site = client.get(f"/api/jobs/{job}").json()["site_name"]
    assert set(found(client, find=site.lower())) == {three["hall"], three["kitchen"]}


@pytest.mark.parametrize(
    "words", ["'", "''''", "a:*b", "!", "( )", "& |", "\\", "%", "_", "<->", "a\tb", "é", "½", "x" * 200, " "]
)
def test_no_search_breaks_the_query(client: TestClient, three: dict[str, int], words: str) -> None:
    assert client.get("/api/board", params={"find": words}).status_code == 200


def test_an_answer_is_found_by_what_is_read_of_it(client: TestClient, three: dict[str, int]) -> None:
    """Kept as codes, read as “by a lower tap …” and “grease or kitchen extract”; a word of one answer and a name go together."""
    document = client.get(f"/api/jobs/{three['waiting']}").json()["document"]
    assert document["duty"]["part_flow"] == "taps"
    assert three["waiting"] in found(client, find="regulator step") and three["kitchen"] in found(
        client, find="grease extract"
    )
    assert three["waiting"] in found(client, find="waiting regul") and found(client, find="waiting grease") == []


def test_what_lies_where_is_filtered_and_ordered(client: TestClient, three: dict[str, int]) -> None:
    every = set(three.values())
    assert set(found(client)) == every
    stopped = {one["id"] for site in client.get("/api/board").json() for one in site["jobs"] if one["line"]["stopped"]}
    assert set(found(client, only="stopped")) == stopped and three["kitchen"] in stopped < every
    stands = {one["id"]: one["line"]["stands_at"] for site in client.get("/api/board").json() for one in site["jobs"]}
    for at in set(stands.values()):
        assert set(found(client, stands_at=at)) == {job for job, place in stands.items() if place == at}
    assert found(client, only="due") == [] and found(client, only="drifting") == []
    numbers = {site["id"] for site in client.get("/api/board").json()}
    assert sum(len(found(client, site=one)) for one in numbers) == 3
    names = [
        one["machine"] for site in client.get("/api/board", params={"order": "name"}).json() for one in site["jobs"]
    ]
    assert names == sorted(names, key=str.lower)
    job = three["hall"]
    revision = client.get(f"/api/jobs/{job}").json()["revision"]
    client.post(f"/api/jobs/{job}/changes", json={"revision": revision, "path": "call/notes", "text": "newest"})
    assert found(client, order="newest")[0] == job
    assert client.get("/api/board", params={"only": "anything"}).status_code == 422


def test_a_job_is_put_away_thrown_away_and_brought_back(client: TestClient, three: dict[str, int]) -> None:
    job, other = three["hall"], three["waiting"]
    for shelf, where in (("archived", "archived"), ("bin", "bin"), ("open", "open"), ("bin", "bin")):
        assert client.post(f"/api/jobs/{job}/shelf", json={"shelf": shelf}).json() == {"shelf": shelf}
        for one in ("open", "archived", "bin"):
            assert (job in found(client, shelf=one)) is (one == where), (shelf, one)
        assert client.get(f"/api/jobs/{job}").status_code == 200  # a link to it still opens it
    counts = client.get("/api/shelves").json()
    assert (counts["open"], counts["archived"], counts["bin"]) == (2, 0, 1) and len(counts["sites"]) == 2
    assert other in found(client)
    assert client.post("/api/jobs/999999/shelf", json={"shelf": "bin"}).status_code == 404


def test_the_bin_is_emptied_after_thirty_days_and_takes_nothing_else_along(
    client: TestClient, three: dict[str, int]
) -> None:
    job, other = three["hall"], three["waiting"]
    revision = client.get(f"/api/jobs/{job}").json()["revision"]
    edit = {"revision": revision, "path": "call/notes", "text": "once"}
    revision = client.post(f"/api/jobs/{job}/changes", json=edit).json()["revision"]
    client.post(f"/api/jobs/{job}/undo", json={"revision": revision})
    client.post(f"/api/jobs/{job}/shelf", json={"shelf": "bin"})
    now = datetime.now(UTC)
    with database.connection_context():
        machine = JobRow.get_by_id(job).machine.id
        assert empty_bin(now + timedelta(days=29)) == 0 and JobRow.get_or_none(JobRow.id == job)
        assert empty_bin(now + timedelta(days=31)) == 1
        assert JobRow.get_or_none(JobRow.id == job) is None and MachineRow.get_or_none(MachineRow.id == machine) is None
        assert not ChangeRow.select().where(ChangeRow.job == job).exists()
        assert JobRow.get_or_none(JobRow.id == other) is not None
    assert client.get(f"/api/jobs/{job}").status_code == 404


def test_what_was_signed_is_a_record_and_is_not_thrown_away(client: TestClient, job: StoredJob) -> None:
    with database.connection_context():
        SignedRow.create(
            job=job.id, number=1, at=datetime.now(UTC), who="Ines", program_version="1", revision=job.revision, job_file={}, assessment={}
        )  # fmt: skip
    refused = client.post(f"/api/jobs/{job.id}/shelf", json={"shelf": "bin"})
    assert refused.status_code == 422 and refused.json()["code"] == "shelves-put-on"
    assert (
        job.id in found(client)
        and client.post(f"/api/jobs/{job.id}/shelf", json={"shelf": "archived"}).status_code == 200
    )


def test_a_second_plan_stands_on_the_same_machine_without_anybodys_word(client: TestClient) -> None:
    data = changed(WAITING)
    data["document"]["setup"] = {"signs": [{"id": "s1", "step": "isolate", "who": "Ines"}]}
    data["document"]["decision"] = {
        "chosen": "keep",
        "why": "because",
        "approvals": [{"id": "a1", "of": "air", "who": "Ines"}],
    }
    data["document"]["marks"] = [{"id": "m1", "finding": "x", "state": "confirmed", "who": "Ines"}]
    first = with_connection(keep_job)(Job.model_validate(data))
    copy = client.post(f"/api/jobs/{first.id}/copies", json={"how": "second plan"}).json()
    document = copy["document"]
    assert copy["machine_id"] == first.machine_id and len(document["readings"]) == len(data["document"]["readings"])
    assert document["setup"]["signs"] == [] and document["decision"]["approvals"] == [] and document["marks"] == []
    assert document["decision"]["chosen"] is None and "Ines" not in json.dumps(document)


def test_a_like_machine_takes_plate_and_plan_and_nothing_that_was_read_or_answered(client: TestClient) -> None:
    data = demo("kitchen_extract_fan")
    first = with_connection(keep_job)(Job.model_validate(data))
    assert first.job.document.call.is_protected
    copy = client.post(
        f"/api/jobs/{first.id}/copies", json={"how": "like machine", "machine_name": "The next fan"}
    ).json()
    document = copy["document"]
    assert copy["machine_id"] != first.machine_id and copy["machine"]["name"] == "The next fan"
    assert document["nameplate"]["rated_power"] == first.job.document.nameplate.model_dump(mode="json")["rated_power"]
    assert document["duty"]["steps"] and document["options"]["candidates"]
    # Whether its flow is protected has to be asked at that machine; so has what was read, found and what the place allows.
    assert document["call"]["protected"] is None and document["readings"] == []
    assert all(value is None for value in document["options"]["fitting"].values())


def test_many_jobs_go_out_and_come_in_as_one_archive(client: TestClient, three: dict[str, int]) -> None:
    out = client.get("/api/archive")
    assert out.headers["content-type"] == "application/zip"
    with zipfile.ZipFile(io.BytesIO(out.content)) as archive:
        assert len(archive.namelist()) == 3
    taken = client.post(
        "/api/archive", content=out.content, headers={"content-type": "application/octet-stream"}
    ).json()
    assert all(one["job"] and not one["reason"] for one in taken) and len(found(client)) == 6
    for before, after in zip(three.values(), (one["job"] for one in taken), strict=True):
        one, other = (client.get(f"/api/jobs/{job}").json() for job in (before, after))
        assert one["document"] == other["document"] and one["machine"] == other["machine"]
    single = client.get("/api/archive", params={"job": three["hall"]})
    assert len(read_archive(single.content)) == 1


def zipped(**files: bytes) -> bytes:
    out = io.BytesIO()
    with zipfile.ZipFile(out, "w", zipfile.ZIP_DEFLATED) as archive:
        for name, data in files.items():
            archive.writestr(name, data)
    return out.getvalue()


def test_a_bad_file_of_an_archive_says_why_and_stops_no_other(client: TestClient) -> None:
    good = write_archive((Job.model_validate(KRAUSE),))
    with zipfile.ZipFile(io.BytesIO(good)) as archive:
        text = archive.read(archive.namelist()[0])
    future = json.loads(text)
    future["document"]["readings"][0]["taken_at"] = "2999-01-01 10:00"
    bomb = b" " * (job_archive.LARGEST_JOB + 10)
    data = zipped(a=b"no json", b=b"\xff\xfe\x00", c=text, d=bomb, e=json.dumps(future).encode(), f=b"[" * 100_000)
    taken = client.post("/api/archive", content=data, headers={"content-type": "application/octet-stream"}).json()
    reasons = {one["file"]: one["reason"] for one in taken}
    assert reasons["c"] == "" and all(reasons[name] for name in "abdef")
    assert "future" in reasons["e"] and "MB" in reasons["d"] and len(found(client)) == 1


@pytest.mark.parametrize(
    "data", [b"", b"PK", b"not a zip", zipped(a=b"x")[:-8]], ids=["empty", "two letters", "text", "cut short"]
)
def test_what_is_no_archive_is_refused(client: TestClient, data: bytes) -> None:
    with refused_with(ArchiveRefused, "job-archive-read-archive-zip-archive"):
        read_archive(data)
    answer = client.post("/api/archive", content=data, headers={"content-type": "application/octet-stream"})
    assert answer.status_code == 422 and found(client) == []


def test_a_site_says_whose_it_is_and_adds_up_its_energy(client: TestClient, three: dict[str, int]) -> None:
    job = client.get(f"/api/jobs/{three['hall']}").json()
    number = job["site_id"]
    said = {"customer": "Net Loft Trust", "contact": " D. Mole, 0100 ", "address": ""}
    answer = client.put(f"/api/sites/{number}", json=said).json()
    assert answer["site"]["customer"] == "Net Loft Trust" and answer["site"]["contact"] == "D. Mole, 0100"
    assert answer["site"]["address"] is None and found(client, find="net loft trust") == found(client, site=number)
    lines = {one["id"]: one["line"] for one in answer["jobs"]}
    hall = lines[three["hall"]]
    assert (
        answer["energy"]["machines"]
        == sum(1 for one in lines.values() if one["energy_now"] and one["energy_after"])
        >= 1
    )
    assert answer["energy"]["of"] == len(lines) and hall["energy_now"]["value"] > hall["energy_after"]["value"]
    file = client.get(f"/api/jobs/{three['hall']}/file").json()
    assert file["site"]["customer"] == "Net Loft Trust"
    assert client.get("/api/sites/999999").status_code == 404


def test_a_second_plan_does_not_make_a_second_machine_of_its_site(client: TestClient, three: dict[str, int]) -> None:
    number = client.get(f"/api/jobs/{three['hall']}").json()["site_id"]
    before = client.get(f"/api/sites/{number}").json()["energy"]
    client.post(f"/api/jobs/{three['hall']}/copies", json={"how": "second plan"})
    after = client.get(f"/api/sites/{number}").json()
    assert after["energy"] == before and len(after["jobs"]) == before["of"] + 1


def test_energies_of_a_site_are_added_with_the_most_that_their_uncertainties_can_be() -> None:
    """By hand: 1,000 ± 30 and 2,000 ± 40 are 3,000 ± 70, since one meter may be off on both; what is not known whole is in neither sum."""

    def kwh(value: float, uncertainty: float) -> Figure:
        return Figure(quantity="energy", value=value, uncertainty=uncertainty, basis="estimated")

    told = site_energy(
        ((kwh(1000, 30), kwh(600, 3)), (kwh(2000, 40), kwh(1000, 4)), (kwh(9000, 10), None), (None, None))
    )
    assert told.now and told.after and (told.machines, told.of) == (2, 4)
    assert (told.now.value, told.now.uncertainty) == (3000, pytest.approx(70))
    assert (told.after.value, told.after.uncertainty) == (1600, pytest.approx(7))
    assert site_energy(()).now is None and site_energy(((None, None),)).of == 1
