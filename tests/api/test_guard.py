"""What stands round every request: headers, bounds, local names, pages, and a database that is away."""

from __future__ import annotations

from pathlib import Path
from typing import Any

import pytest
import schemathesis
from fastapi.testclient import TestClient
from hypothesis import HealthCheck, given, settings

from modest_rotor.api.app import create_app
from modest_rotor.store import database
from modest_rotor.store.database import MIGRATIONS

pytestmark = pytest.mark.database

SPOKEN_STATUSES = {200, 201, 204, 404, 405, 409, 413, 421, 422}


def test_health_says_which_migration_it_is_at(client: TestClient) -> None:
    answer = client.get("/api/health")
    assert answer.status_code == 200
    newest = sorted(path.stem for path in MIGRATIONS.glob("[0-9]*.py"))[-1]
    assert answer.json()["database"] is True and answer.json()["migration"] == newest


def test_a_database_that_is_away_is_a_sentence_and_503(client: TestClient, parameters: dict[str, object]) -> None:
    database.drop_connections()
    database.connect(**{**parameters, "port": 9})
    try:
        assert client.get("/api/health").status_code == 503
        answer = client.get("/api/board")
        assert answer.status_code == 503 and answer.json()["code"] == "guard-told-any-case"
    finally:
        database.connect(**parameters)


@pytest.mark.parametrize("route", ["/", "/api/health", "/api/nothing", "/assets/none.js", "/api/docs"])
def test_every_answer_carries_the_strict_headers(client: TestClient, route: str) -> None:
    headers = client.get(route).headers
    policy = headers["content-security-policy"]
    assert "default-src 'none'" in policy and "script-src 'self';" in policy and "unsafe" not in policy
    assert "frame-ancestors 'none'" in policy
    assert headers["x-content-type-options"] == "nosniff"
    assert headers["x-frame-options"] == "DENY"
    assert headers["referrer-policy"] == "no-referrer"


def test_requests_are_bounded_in_size(client: TestClient) -> None:
    answer = client.post("/api/assess", content=b"x" * 1_100_000, headers={"content-type": "application/json"})
    assert answer.status_code == 413 and answer.json()["code"] == "guard-refusal-request-holds"

    def endless() -> object:
        for _ in range(12):
            yield b"x" * 100_000

    assert client.post("/api/assess", content=endless()).status_code == 413  # no length said beforehand


def test_only_this_machines_own_names_are_answered(client: TestClient) -> None:
    assert client.get("/api/health", headers={"host": "evil.example"}).status_code == 421
    assert client.get("/api/health", headers={"host": "127.0.0.1:8420"}).status_code == 200
    assert (
        client.post("/api/jobs", json={"machine_name": "x"}, headers={"origin": "http://evil.example"}).status_code
        == 403
    )


def test_pages_are_fresh_assets_are_for_ever_and_what_is_not_there_is_404(client: TestClient) -> None:
    page = client.get("/jobs/1/plate")
    assert page.status_code == 200 and page.headers["cache-control"] == "no-cache"
    packed = client.get("/assets/main-1.js", headers={"accept-encoding": "gzip"})
    assert "immutable" in packed.headers["cache-control"] and packed.headers["content-encoding"] == "gzip"
    smaller = client.get("/assets/main-1.js", headers={"accept-encoding": "gzip, deflate, br"})
    assert smaller.headers["content-encoding"] == "br" and smaller.headers["content-length"] == "5"
    for refused in ("gzip, br;q=0", "gzip, br; q=0", "gzip"):
        assert client.get("/assets/main-1.js", headers={"accept-encoding": refused}).text == "1"
    assert "content-encoding" not in client.get("/assets/main-1.js", headers={"accept-encoding": "identity"}).headers
    assert client.get("/assets/none.js").status_code == 404
    assert client.get("/api/nothing").status_code == 404
    assert client.get("/..%2f..%2fetc/passwd").text.startswith("<!doctype")


def test_every_answer_of_the_api_names_the_front_end_of_now(client: TestClient, pages: Path) -> None:
    """By it a page that was opened before the program was renewed learns that it is another's."""
    first = client.get("/api/board").headers["x-edition"]
    assert (
        first
        and client.get("/api/nothing").headers["x-edition"] == client.post("/api/jobs").headers["x-edition"] == first
    )
    assert "x-edition" not in client.get("/").headers
    (pages / "index.html").write_text("<!doctype html><title>Modest Rotor, renewed</title>")
    assert client.get("/api/board").headers["x-edition"] not in ("", first)
    (pages / "index.html").unlink()
    assert client.get("/api/board").headers["x-edition"] == ""


def test_the_documentation_is_this_machines_own(client: TestClient) -> None:
    assert "http" not in client.get("/api/docs").text.replace("http-equiv", "")
    assert client.get("/api/openapi.json").json()["info"]["title"] == "Modest Rotor"


def test_a_malformed_request_is_422_in_words(client: TestClient) -> None:
    answer = client.post("/api/jobs", json={"machine_name": 7})
    assert answer.status_code == 422 and answer.json()["field"] == "machine_name"
    assert client.post("/api/jobs", content=b"{", headers={"content-type": "application/json"}).status_code == 422


SCHEMA = schemathesis.openapi.from_asgi("/api/openapi.json", create_app(), headers={"host": "127.0.0.1"})
OPERATIONS = [found.ok() for found in SCHEMA.get_all_operations()]


@pytest.mark.parametrize("operation", OPERATIONS, ids=lambda operation: operation.label)
def test_no_request_of_any_shape_is_a_server_error(operation: Any, parameters: dict[str, object]) -> None:
    """Every route of the API against requests drawn from its own description."""
    database.connect(**parameters)

    @settings(max_examples=12, suppress_health_check=list(HealthCheck))
    @given(case=operation.as_strategy())
    def check(case: schemathesis.Case) -> None:
        answer = case.call(headers={"host": "127.0.0.1"})
        assert answer.status_code in SPOKEN_STATUSES, answer.text

    check()


def test_every_route_is_among_them() -> None:
    assert len(OPERATIONS) == sum(len(methods) for methods in create_app().openapi()["paths"].values()) >= 14


@pytest.mark.parametrize(
    ("method", "path", "status", "code"),
    [
        ("GET", "/api/nowhere", 404, "pages-no-such-address"),
        ("GET", "/assets/gone.js", 404, "pages-no-such-file"),
        ("DELETE", "/api/board", 405, "guard-not-allowed"),
    ],
)
def test_what_the_framework_refuses_is_said_in_the_readers_words(
    client: TestClient, method: str, path: str, status: int, code: str
) -> None:
    answer = client.request(method, path)
    assert (answer.status_code, answer.json()["code"]) == (status, code)
    other = client.request(method, path, headers={"accept-language": "es"})
    assert other.json()["code"] == code and other.json()["sentence"] != answer.json()["sentence"]
