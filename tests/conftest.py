"""The throwaway PostgreSQL of the tests: one cluster, one migrated template, a copy for each worker."""

from __future__ import annotations

import os
import shutil
import tempfile
from collections.abc import Iterator
from pathlib import Path

import psycopg
import pytest
from hypothesis import settings

from modest_rotor.serve.cluster import APPLICATION, DATABASE, Cluster
from modest_rotor.store import database
from modest_rotor.store.models import MODELS

settings.register_profile("ours", deadline=None, max_examples=60, derandomize=True)
settings.load_profile("ours")

HANDED_ON = "MODEST_ROTOR_TEST_CLUSTER"
_started: list[Cluster] = []
AT_ONE_AGAIN = """
    SELECT setval(format('%%I.%%I', schemaname, sequencename)::regclass, start_value, false)
    FROM pg_sequences WHERE sequencename = ANY(%s)
"""


def pytest_configure(config: pytest.Config) -> None:
    """The controller starts the cluster; workers find it by their environment."""
    if hasattr(config, "workerinput") or config.option.collectonly or "not database" in config.option.markexpr:
        return
    folder = Path(tempfile.mkdtemp(prefix="modest-rotor-tests-", dir="/var/tmp"))
    folder.chmod(0o711)
    cluster = Cluster(folder, fast=True)
    _started.append(cluster)
    cluster.start()
    database.connect(**cluster.parameters)
    database.migrate()
    database.drop_connections()
    os.environ[HANDED_ON] = str(folder)


@pytest.hookimpl(tryfirst=True)
def pytest_collection_modifyitems(items: list[pytest.Item]) -> None:
    """The browsers first: they take longest and wait much, while others use the processor."""
    items.sort(key=lambda item: "tests/web" not in str(item.path))


def pytest_unconfigure() -> None:
    """Stop what the controller started, whatever came of the tests."""
    for cluster in _started:
        cluster.stop()
        shutil.rmtree(cluster.directory, ignore_errors=True)
    _started.clear()


@pytest.fixture(scope="session")
def cluster() -> Cluster:
    """The cluster that the controller started."""
    return Cluster(Path(os.environ[HANDED_ON]), fast=True)


@pytest.fixture(scope="session")
def operator(cluster: Cluster) -> dict[str, object]:
    """How whoever may make databases connects."""
    return cluster.operator_parameters


@pytest.fixture(scope="session")
def parameters(worker_id: str, cluster: Cluster, operator: dict[str, object]) -> dict[str, object]:
    """How to connect to this worker's own database."""
    name = f"test_{worker_id}"
    with psycopg.connect(**operator, autocommit=True) as connection:  # type: ignore[arg-type]
        connection.execute(f'DROP DATABASE IF EXISTS "{name}"')
        connection.execute(f'CREATE DATABASE "{name}" TEMPLATE "{DATABASE}" OWNER "{APPLICATION}"')
    return {**cluster.parameters, "dbname": name}


@pytest.fixture(scope="session")
def worker_id(request: pytest.FixtureRequest) -> str:
    """This worker's name; one name where tests run in one process."""
    return getattr(request.config, "workerinput", {}).get("workerid", "alone")


@pytest.fixture
def store(parameters: dict[str, object], operator: dict[str, object]) -> Iterator[None]:
    """The store on an empty, migrated database."""
    database.connect(**parameters)
    # Not through the store: what empties the tables may wait for a slow disk longer than a request may.
    with psycopg.connect(**{**operator, "dbname": parameters["dbname"]}) as connection:  # type: ignore[arg-type]
        tables = [model._meta.table_name for model in MODELS]
        # Few rows go quicker than nineteen tables get new files; the references between them go with them.
        connection.execute("SET session_replication_role = replica; SET lock_timeout = 60000")
        connection.execute("; ".join(f'DELETE FROM "{table}"' for table in tables))
        connection.execute(AT_ONE_AGAIN, [[f"{table}_id_seq" for table in tables]])
    yield
    database.drop_connections()
