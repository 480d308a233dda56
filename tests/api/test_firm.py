"""In whose name reports are made, over HTTP: said, shown at the head of a report, its mark looked into like any picture."""

from __future__ import annotations

import io

import pytest
from fastapi.testclient import TestClient
from pypdf import PdfReader

from modest_rotor.store.jobs import StoredJob
from tests.formats.test_photo import picture

pytestmark = pytest.mark.database

BYTES = {"content-type": "application/octet-stream"}


def first_page(client: TestClient, job: StoredJob) -> str:
    data = client.get(f"/api/jobs/{job.id}/report.pdf").content
    return PdfReader(io.BytesIO(data)).pages[0].extract_text()


def test_a_firm_is_said_once_and_stands_on_every_report(client: TestClient, job: StoredJob) -> None:
    assert client.get("/api/firm").json() == {"name": "", "address": "", "has_mark": False}
    said = client.put("/api/firm", json={"name": " Wharfside Motors ", "address": "3 Slip Lane\nQuillhaven"})
    assert said.json()["name"] == "Wharfside Motors"
    assert "Wharfside Motors" in first_page(client, job) and "3 Slip Lane" in first_page(client, job)
    again = client.put("/api/firm", json={"name": "Another", "address": ""})
    assert again.json() == {"name": "Another", "address": "", "has_mark": False}
    assert client.put("/api/firm", json={"name": "x" * 121}).status_code == 422


def test_a_mark_is_a_picture_and_nothing_else(client: TestClient, job: StoredJob) -> None:
    assert client.get("/api/firm/mark").status_code == 404
    refused = client.post("/api/firm/mark", content=b"<script>", headers=BYTES)
    assert refused.status_code == 422 and client.get("/api/firm").json()["has_mark"] is False
    kept = client.post("/api/firm/mark", content=picture(size=(300, 200), place=True), headers=BYTES)
    assert kept.json()["has_mark"] and client.get("/api/firm/mark").content.startswith(b"\xff\xd8")
    assert client.get(f"/api/jobs/{job.id}/report.pdf").status_code == 200
    assert client.delete("/api/firm/mark").json()["has_mark"] is False
