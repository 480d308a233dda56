"""Calculations over HTTP."""

from __future__ import annotations

import pytest
from fastapi.testclient import TestClient

from modest_rotor.core.calculations.book import CALCULATIONS

pytestmark = pytest.mark.database


def test_all_are_listed_with_what_they_ask_for(client: TestClient) -> None:
    listed = client.get("/api/calculations").json()
    assert [facts["name"] for facts in listed] == [calculation.name for calculation in CALCULATIONS]


def test_one_is_worked_with_its_working(client: TestClient) -> None:
    body = {"values": {"frequency": "60", "poles": "6"}, "units": "ip"}
    answer = client.post("/api/calculations/synchronous_speed", json=body)
    assert answer.status_code == 200
    (result,) = answer.json()["results"]
    assert result["figure"]["value"] == 1200 and result["working"]["formula"] == "n_s = 120 f ÷ p"


@pytest.mark.parametrize(
    ("name", "values", "status", "words"),
    [
        ("nothing", {}, 404, "no calculation"), ("slip", {"speed": "1,812 rpm", "frequency": "60 Hz", "poles": "4"}, 422, "two marks"),
        ("slip", {"speed": "1,712 rpm"}, 422, "needs frequency"), ("torque", {"shaft_power": "\0", "speed": "1"}, 422, "null character"),
    ],
)  # fmt: skip
def test_a_refusal_is_a_sentence(
    client: TestClient, name: str, values: dict[str, str], status: int, words: str
) -> None:
    answer = client.post(f"/api/calculations/{name}", json={"values": values})
    assert answer.status_code == status and words in answer.json()["sentence"]
