"""Nothing typed, sent or met in the middle breaks it: what is answered, in which words, and what stands afterwards."""

from __future__ import annotations

import io
import random
from collections.abc import Iterator
from typing import Any

import pytest
from fastapi.testclient import TestClient
from openpyxl import load_workbook
from PIL import Image, PngImagePlugin
from pydantic import BaseModel

import modest_rotor.core.assess as door
from modest_rotor.api import contracts
from modest_rotor.core.job import Job
from modest_rotor.core.quantities import quantity
from modest_rotor.core.stations.sheet import quantity_of
from modest_rotor.demo.load import DEMO_JOBS, FINISHED, _job
from modest_rotor.store import database as store
from modest_rotor.store.database import with_connection
from modest_rotor.store.jobs import StoredJob, keep_job
from modest_rotor.store.models import JobRow
from tests.jobs import KRAUSE
from tests.said import says

pytestmark = pytest.mark.database
SAMPLED = 16
"""Edits of the sample; ``tools/attack/poison.py`` makes them all."""


def edit(client: TestClient, job: int, path: str, text: str, **headers: str) -> Any:
    revision = client.get(f"/api/jobs/{job}").json()["revision"]
    body = {"revision": revision, "path": path, "text": text, "units": "si"}
    return client.post(f"/api/jobs/{job}/changes", json=body, headers=headers)


def quantity_paths(model: BaseModel, prefix: str = "") -> Iterator[tuple[str, str]]:
    """Every place of a model that takes a quantity, filled or empty, with the quantity's name."""
    for field in type(model).model_fields:
        value, path = getattr(model, field), f"{prefix}/{field}" if prefix else field
        name = quantity_of(type(model), field)
        if name:
            yield path, name
        elif isinstance(value, BaseModel):
            yield from quantity_paths(value, path)
        elif isinstance(value, tuple):
            for item in value:
                if isinstance(item, BaseModel) and hasattr(item, "id"):
                    yield from quantity_paths(item, f"{path}/{item.id}")


def extremes(job: Job) -> list[tuple[str, str]]:
    """Every quantity of a job with 0, a tiny, the least, the greatest and a negative value."""
    found = []
    for path, name in (*quantity_paths(job.machine, "machine"), *quantity_paths(job.document)):
        what = quantity(name)
        unit = what.reader_unit("si")
        for si in (0.0, max(what.low, 0.0) + 1e-9, what.low, what.high, -abs(what.high) / 3):
            found.append((path, f"{unit.from_si(si):.10g} {'' if unit.symbol == 'money' else unit.symbol}".strip()))
    return found


@pytest.mark.slow
def test_a_sample_of_extremes_in_every_demo_job_closes_nothing(client: TestClient) -> None:
    """The rest of a job, the Board, the Bench and the report answer, whatever was typed."""
    rng = random.Random(11)
    every = [(name, *one) for name in (*DEMO_JOBS, FINISHED) for one in extremes(_job(name))]
    numbers = {name: with_connection(keep_job)(_job(name)).id for name in (*DEMO_JOBS, FINISHED)}
    for name, path, text in rng.sample(every, SAMPLED):
        job = numbers[name]
        answer = edit(client, job, path, text)
        assert answer.status_code in (200, 422), (name, path, text, answer.text[:300])
        for look in (f"/api/jobs/{job}", f"/api/jobs/{job}/report", "/api/board", "/api/bench"):
            assert client.get(look).status_code == 200, (name, path, text, look)
        rig = client.post("/api/bench/look", json={"rig": {"of": "job", "job": job}})
        assert rig.status_code in (200, 422), (name, path, text)


@pytest.mark.parametrize(
    ("path", "text"),
    [
        ("readings/s1/speed", "0 rpm"),
        ("readings/s1/fan_speed", "0 rpm"),
        ("readings/s1/input_power", "0 W"),
        ("readings/s1/speed", "0.02 rpm"),
        ("nameplate/nominal_efficiency", "0 %"),
    ],
)
def test_what_closed_the_application_once_is_an_ordinary_edit(
    client: TestClient, job: StoredJob, path: str, text: str
) -> None:
    assert edit(client, job.id, path, text).status_code == 200
    assert client.get(f"/api/jobs/{job.id}").json()["assessment"]["left_out"] == []
    assert client.get("/api/board").status_code == 200


def test_a_product_of_no_efficiency_is_a_stop_with_a_name(client: TestClient) -> None:
    product = {"code": "x-1", "type": "motor", "name": "X", "motor_kind": "electronic", "least_efficiency": "0 %", "nominal_efficiency": "80 %", "rated_power": "0.5 hp"}  # fmt: skip
    job = {**KRAUSE, "document": {**KRAUSE["document"], "options": {"candidates": [{"id": "k1", "kind": "electronic, torque held", "product": product}]}}}  # fmt: skip
    answer = client.post("/api/assess", json={"job": job})
    assert answer.status_code in (200, 422), answer.text[:200]
    if answer.status_code == 200:
        checks = {one["check"]: one for option in answer.json()["options"]["options"] for one in option["checks"]}
        assert checks["data_sheet"]["fits"] == "cannot"


def test_one_jobs_fault_is_its_own(
    client: TestClient, job: StoredJob, monkeypatch: pytest.MonkeyPatch, caplog: pytest.LogCaptureFixture
) -> None:
    sound = door._assess

    def stumbles(tried: Job, *rest: object) -> object:
        if tried.document.call.notes == "poison" and tried.document.nameplate.rated_power:
            raise ZeroDivisionError
        return sound(tried, *rest)

    other = with_connection(keep_job)(Job.model_validate(KRAUSE))
    monkeypatch.setattr(door, "_assess", stumbles)
    saved = edit(client, job.id, "call/notes", "poison")
    assert saved.status_code == 200
    left = client.get(f"/api/jobs/{job.id}").json()["assessment"]["left_out"]
    assert [one["path"] for one in left] == ["nameplate/rated_power"] and left[0]["fault"]
    assert len([one for one in caplog.records if "cannot be worked out whole" in one.message]) == 1  # noted down once
    lines = [one for site in client.get("/api/board").json() for one in site["jobs"]]
    assert {one["id"] for one in lines} == {job.id, other.id}
    assert client.get(f"/api/jobs/{other.id}").json()["assessment"]["left_out"] == []


def test_a_job_that_cannot_be_read_stands_on_the_board_as_such(client: TestClient, job: StoredJob) -> None:
    other = with_connection(keep_job)(Job.model_validate(KRAUSE))
    with_connection(
        lambda: JobRow.update(document={"nameplate": 7}, summary_key=None).where(JobRow.id == job.id).execute()
    )()
    lines = {one["id"]: one for site in client.get("/api/board").json() for one in site["jobs"]}
    assert says("store-board-unreadable-cannot-read", lines[job.id]["line"]["sentence"][0]) and lines[other.id]["fresh"]
    assert client.get(f"/api/jobs/{job.id}").status_code == 422


def test_the_board_is_paged_and_says_how_many_there_are(client: TestClient, monkeypatch: pytest.MonkeyPatch) -> None:
    for _ in range(5):
        with_connection(keep_job)(Job.model_validate(KRAUSE))
    monkeypatch.setattr("modest_rotor.store.board.PAGE", 2)
    pages = [client.get("/api/board", params={"page": page}) for page in (1, 2, 3, 4)]
    assert pages[0].headers["x-total-count"] == "5"
    assert [sum(len(site["jobs"]) for site in page.json()) for page in pages] == [2, 2, 1, 0]


# -- what is said ------------------------------------------------------------------------------------------------------


def test_what_fails_after_the_commit_is_saved_and_said_to_be(
    client: TestClient, job: StoredJob, monkeypatch: pytest.MonkeyPatch
) -> None:
    monkeypatch.setattr(contracts, "signed_lines", lambda _: 1 / 0)
    revision = with_connection(lambda: f"{JobRow.get_by_id(job.id).revision}.1")()
    body = {"revision": revision, "path": "call/notes", "text": "kept"}
    answer = client.post(f"/api/jobs/{job.id}/changes", json=body)
    assert answer.status_code == 503 and answer.json()["saved"] == "saved"
    assert says("guard-told-saved-what", answer.json()["sentence"])
    monkeypatch.undo()
    assert client.get(f"/api/jobs/{job.id}").json()["document"]["call"]["notes"] == "kept"


def test_what_is_not_known_is_said_not_to_be(
    client: TestClient, job: StoredJob, monkeypatch: pytest.MonkeyPatch
) -> None:
    begun = store.begun
    revision = client.get(f"/api/jobs/{job.id}").json()["revision"]
    monkeypatch.setattr(store, "begun", lambda: (begun(), store.database.obj.connection().pgconn.finish()))
    body = {"revision": revision, "path": "call/notes", "text": "perhaps"}
    answer = client.post(f"/api/jobs/{job.id}/changes", json=body, headers={"idempotency-key": "act-perhaps"})
    assert answer.status_code == 503 and answer.json()["saved"] == "unknown"
    assert answer.json()["code"] == "guard-told-known-whether"
    monkeypatch.undo()
    store.AVAILABLE.answered()
    assert client.get("/api/commands/act-perhaps").json()["known"] is False  # this one was not


def test_an_act_sent_twice_is_done_once_and_both_are_told(client: TestClient, job: StoredJob) -> None:
    name = {"idempotency-key": "act-once-1"}
    revision = client.get(f"/api/jobs/{job.id}").json()["revision"]
    body = {"revision": revision, "path": "call/notes", "text": "once"}
    assert client.post(f"/api/jobs/{job.id}/changes", json=body, headers=name).status_code == 200
    again = client.post(f"/api/jobs/{job.id}/changes", json=body, headers=name)
    assert again.status_code == 208 and again.json()["known"]
    assert len(client.get(f"/api/jobs/{job.id}/changes").json()) == 1
    begun = [client.post("/api/jobs", json={"machine_name": "Fan"}, headers={"idempotency-key": "act-begin-1"}) for _ in range(2)]  # fmt: skip
    assert [one.status_code for one in begun] == [201, 208]
    assert begun[1].json()["about"] == {"job": begun[0].json()["id"]}
    assert client.get("/api/commands/act-begin-1").json() == {"known": True, "about": begun[1].json()["about"]}
    assert client.post("/api/jobs", json={"machine_name": "x"}, headers={"idempotency-key": "?"}).status_code == 422


def test_a_fault_has_words_and_headers_too(client: TestClient, monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setattr("modest_rotor.store.board.count_jobs", lambda _: 1 / 0)
    answer = client.get("/api/board")
    assert answer.status_code == 500 and "guard-fault" in answer.json()["codes"]
    assert answer.headers["x-content-type-options"] == "nosniff" and answer.headers["cache-control"] == "no-store"


def test_answers_of_the_api_are_not_stored_by_caches(client: TestClient, job: StoredJob) -> None:
    for path in ("/api/board", f"/api/jobs/{job.id}", "/api/nothing", f"/api/jobs/{job.id}/report.pdf"):
        assert client.get(path).headers["cache-control"] == "no-store", path


@pytest.mark.parametrize(
    ("headers", "status"),
    [
        ({"host": "testserver"}, 421),
        ({"host": "127.0.0.1:8420", "origin": "http://127.0.0.1:8420"}, 200),
        ({"host": "127.0.0.1:8420", "origin": "https://127.0.0.1:8420"}, 403),  # another scheme is another page
        ({"host": "127.0.0.1:8420", "origin": "http://127.0.0.1:9999"}, 403),
        ({"host": "127.0.0.1", "origin": "null"}, 403),
    ],
)
def test_who_may_ask(client: TestClient, headers: dict[str, str], status: int) -> None:
    assert client.get("/api/health", headers=headers).status_code == status


# -- what is sent ------------------------------------------------------------------------------------------------------


@pytest.mark.parametrize(
    ("method", "path", "body"),
    [
        ("GET", "/api/people/%00/meters", None),
        ("PUT", f"/api/people/{'x' * 200}/meters", {"meters": {}}),
        ("DELETE", "/api/catalogue/%00", None),
        ("GET", "/%00", None),
        ("GET", f"/{'a' * 3000}", None),
        ("POST", "/api/jobs", {"machine_name": "\udfff"}),
        ("POST", "/api/jobs", {"machine_name": "Fan", "site_name": "\udfff"}),
        ("POST", "/api/catalogue/look", {"text": ","}),
        ("POST", "/api/catalogue/look", {"text": ";;;"}),
        ("POST", "/api/profiles/look", {"text": "[" * 100_000}),
        ("POST", "/api/duty/log/look", {"text": f"time,watts\n2026-01-01 00:00,{'1' * 131_100}\n"}),
        ("POST", "/api/log/look", {"text": f"time,watts\n2026-01-01 00:00,{'1' * 131_100}\n"}),
        ("POST", "/api/log/look", {"text": "time,watts\n" + "0001-01-01 00:00+14:00,1\n" * 20}),
        ("POST", "/api/duty/log/look", {"text": "a" + " " * 1600 + "b,watts\n2026-01-01 00:00,1\n"}),
        ("POST", "/api/duty/log/look", {"text": "time,watts\n" + "1-1" * 10_000 + ",1\n"}),
        ("POST", "/api/calculations/minimum_efficiency", {"values": {"nominal": "0 %"}}),
        ("POST", "/api/bench/look", {"rig": {"of": "stand", "name": "three-phase fan"}, "controls": {"hertz": 1e-9}}),
    ],
)  # fmt: skip
def test_what_broke_it_once_is_refused_in_words(client: TestClient, method: str, path: str, body: Any) -> None:
    import json

    content = None if body is None else json.dumps(body).encode()
    answer = client.request(method, path, content=content, headers={"content-type": "application/json"})
    assert answer.status_code in (404, 422), answer.text[:300]
    assert len(answer.json()["sentence"]) > 15


def test_a_photograph_that_is_too_large_hears_so_and_one_of_many_pixels_too(client: TestClient, job: StoredJob) -> None:
    large = client.post(f"/api/jobs/{job.id}/photos", content=b"x" * 13_000_000)
    assert large.status_code == 413 and large.json()["code"] == "guard-refusal-request-holds"
    out = io.BytesIO()
    Image.new("1", (7_000, 7_000)).save(out, "PNG")
    many = client.post(f"/api/jobs/{job.id}/photos", content=out.getvalue())
    assert (
        many.status_code == 422 and "25 million pixels" in many.json()["sentence"] and "49" in many.json()["sentence"]
    )


@pytest.mark.parametrize(("kind", "mode"), [("JPEG", "RGB"), ("PNG", "RGB"), ("PNG", "RGBA"), ("WEBP", "RGB")])
def test_a_photograph_of_as_many_pixels_as_it_may_have_is_kept(
    client: TestClient, job: StoredJob, kind: str, mode: str
) -> None:
    out = io.BytesIO()
    Image.linear_gradient("L").convert(mode).resize((5_000, 4_990)).save(out, kind)
    kept = client.post(f"/api/jobs/{job.id}/photos", content=out.getvalue())
    assert kept.status_code == 201 and kept.json()["width"] == 2400, kept.text


@pytest.mark.parametrize("kind", ["JPEG", "PNG"])
def test_nothing_but_pixels_of_a_photograph_is_kept(client: TestClient, job: StoredJob, kind: str) -> None:
    out, secret = io.BytesIO(), "taken at home"
    told = PngImagePlugin.PngInfo()
    told.add_text("Comment", secret)
    more = {"comment": secret.encode()} if kind == "JPEG" else {"pnginfo": told}
    Image.new("RGB", (40, 30), "white").save(out, kind, **more)
    assert secret.encode() in out.getvalue()
    kept = client.post(f"/api/jobs/{job.id}/photos", content=out.getvalue())
    assert kept.status_code == 201
    data = client.get(f"/api/jobs/{job.id}/photos/{kept.json()['id']}").content
    assert secret.encode() not in data and "comment" not in Image.open(io.BytesIO(data)).info


def test_no_name_becomes_a_formula_in_any_export(client: TestClient, job: StoredJob) -> None:
    for path, text in (("readings/s1/name", "=1+1"), ("machine/name", "=HYPERLINK(1)"), ("duty/steps/s1/name", "\t=2")):
        edit(client, job.id, path, text)
    edit(client, job.id, "machine/place", "bell \x07 here")
    book = load_workbook(io.BytesIO(client.get(f"/api/jobs/{job.id}/report.xlsx").content))
    cells = [cell for sheet in book for row in sheet.iter_rows() for cell in row]
    assert cells and all(cell.data_type != "f" for cell in cells)
    table = client.get(f"/api/jobs/{job.id}/readings.csv").text
    assert "'=1+1" in table and ",=" not in table


def test_eight_rigs_mean_eight_and_bytes_end_none(client: TestClient, monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setattr("modest_rotor.api.bench_live.MOST_RIGS", 1)
    put_up = {"do": "put up", "rig": {"of": "stand", "name": "capacitor blower"}}
    live = "ws://127.0.0.1/api/bench/rig"
    with client.websocket_connect(live) as one, client.websocket_connect(live) as other:
        one.send_json(put_up)  # both before either has been built
        other.send_json(put_up)
        first = [socket.receive_json()["kind"] for socket in (one, other)]
        assert sorted(first) == ["refused", "standing"]
        standing = one if first[0] == "standing" else other
        standing.send_bytes(b"\x00\x01")
        kinds = [standing.receive_json()["kind"] for _ in range(40)]
        assert "refused" in kinds and "frame" in kinds[kinds.index("refused") :]
