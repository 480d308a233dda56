"""The application under test, on this worker's own database."""

from __future__ import annotations

import gzip
from collections.abc import Iterator
from pathlib import Path

import pytest
from fastapi.testclient import TestClient

from modest_rotor.api.app import create_app
from modest_rotor.core.job import Job
from modest_rotor.store.database import with_connection
from modest_rotor.store.jobs import StoredJob, keep_job
from tests.jobs import KRAUSE

PACKED_WITH_BROTLI = b"\x0b\x00\x80\x31\x03"
"""What packs one byte, a "1", with Brotli."""


@pytest.fixture
def pages(tmp_path: Path) -> Path:
    """In place of the built front end."""
    (tmp_path / "assets").mkdir()
    (tmp_path / "docs").mkdir()
    (tmp_path / "index.html").write_text("<!doctype html><title>Modest Rotor</title>")
    (tmp_path / "docs" / "index.html").write_text('<script src="/docs/begin.js"></script>')
    (tmp_path / "assets" / "main-1.js").write_text("1")
    (tmp_path / "assets" / "main-1.js.gz").write_bytes(gzip.compress(b"1"))
    (tmp_path / "assets" / "main-1.js.br").write_bytes(PACKED_WITH_BROTLI)
    return tmp_path


@pytest.fixture
def client(store: None, pages: Path) -> Iterator[TestClient]:
    with TestClient(create_app(pages), base_url="http://127.0.0.1", raise_server_exceptions=False) as client:
        yield client


@pytest.fixture
def job(client: TestClient) -> StoredJob:
    return with_connection(keep_job)(Job.model_validate(KRAUSE))
