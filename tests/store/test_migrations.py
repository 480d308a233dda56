"""An old database, with data in it, comes forward and loses nothing."""

from __future__ import annotations

from collections.abc import Iterator
from datetime import UTC, datetime

import psycopg
import pytest
from playhouse.migrations import Runner
from psycopg.types.json import Jsonb

from modest_rotor.serve.cluster import APPLICATION
from modest_rotor.store import board, database, jobs
from modest_rotor.store.database import MIGRATIONS
from modest_rotor.store.models import MODELS

pytestmark = pytest.mark.database


@pytest.fixture
def empty(parameters: dict[str, object], operator: dict[str, object]) -> Iterator[dict[str, object]]:
    """A database without any table."""
    name = f"{parameters['dbname']}_old"
    with psycopg.connect(**operator, autocommit=True) as connection:  # type: ignore[arg-type]
        connection.execute(f'DROP DATABASE IF EXISTS "{name}"')
        connection.execute(f'CREATE DATABASE "{name}" OWNER "{APPLICATION}"')
        yield {**parameters, "dbname": name}
        database.drop_connections()
        connection.execute(f'DROP DATABASE "{name}" WITH (FORCE)')


def test_the_first_schema_with_a_job_in_it_comes_forward(empty: dict[str, object]) -> None:
    database.connect(**empty)
    assert database.migrate("0001_sites_machines_jobs") == ["0001_sites_machines_jobs"]
    now = datetime.now(UTC)
    with psycopg.connect(**empty, autocommit=True) as old:  # type: ignore[arg-type]
        old.execute("INSERT INTO site (id, name, units) VALUES (1, 'Quay', 'ip')")
        old.execute(
            "INSERT INTO machine (id, site_id, document, revision) VALUES (1, 1, %s, 1)", (Jsonb({"name": "Fan"}),)
        )
        document = Jsonb({"plate": {"rated_power": "3/4 hp"}})
        old.execute(
            "INSERT INTO job (id, machine_id, document, revision, began, saved) VALUES (1, 1, %s, 1, %s, %s)",
            (document, now, now),
        )
    applied = database.migrate()
    assert applied and applied[-1] == sorted(path.stem for path in MIGRATIONS.glob("[0-9]*.py"))[-1]
    with database.database.connection_context():
        stored = jobs.load(1)
        assert stored.job.document.nameplate.rated_power is not None
        assert stored.job.document.nameplate.rated_power.typed == "3/4 hp"
        assert board.all_jobs_by_site()[0].jobs[0].machine == "Fan"
    assert database.migrate() == []


def test_documents_and_histories_of_version_2_come_forward_and_are_undone(empty: dict[str, object]) -> None:
    database.connect(**empty)
    database.migrate("0011_signed_as_shown")
    now, plate = datetime.now(UTC), {"rated_power": "3/4 hp"}
    history = [("plate", {}, plate), ("machine/wheel", None, "axial"), ("options/considered", [], [{"id": "k1", "kind": "drive"}])]  # fmt: skip
    with psycopg.connect(**empty, autocommit=True) as old:  # type: ignore[arg-type]
        old.execute("INSERT INTO site (id, name, units) VALUES (1, 'Quay', 'ip')")
        machine = Jsonb({"name": "Fan", "wheel": "axial"})
        old.execute("INSERT INTO machine (id, site_id, document, revision) VALUES (1, 1, %s, 1)", (machine,))
        document = Jsonb(
            {"plate": plate, "options": {"considered": [{"id": "k1", "kind": "drive"}], "tightness": "120 %"}}
        )
        old.execute(
            "INSERT INTO job (id, machine_id, document, revision, began, saved, undo_top) VALUES (1, 1, %s, 3, %s, %s, 3)",
            (document, now, now),
        )
        for number, (path, before, after) in enumerate(history, 1):
            old.execute(
                "INSERT INTO change (id, job_id, path, label, before, after, who, at, kind, revision, below)"
                " VALUES (%s, 1, %s, %s, %s, %s, 'Ann', %s, 'edit', %s, %s)",
                (number, path, path, Jsonb(before), Jsonb(after), now, number, number - 1 or None),
            )
        old.execute("SELECT setval(pg_get_serial_sequence('change', 'id'), 3)")
    database.migrate()
    with database.database.connection_context():
        stored = jobs.load(1)
        assert stored.job.machine.type == "axial" and stored.job.document.nameplate.rated_power is not None
        assert [one.kind for one in stored.job.document.options.candidates] == ["drive"]
        assert stored.job.document.options.resistance_factor is not None
        paths = [change.path for change in jobs.changes_of(1)]
        assert paths == ["nameplate", "machine/type", "options/candidates"]
        for _ in history:
            stored = jobs.undo(1, stored.revision, "Ben")
        assert stored.job.machine.type is None and stored.job.document.options.candidates == ()
        assert stored.job.document.nameplate.rated_power is None


def generated(table: str) -> set[str]:
    """Columns that the database fills by itself, of which no model knows."""
    sql = "SELECT column_name FROM information_schema.columns WHERE table_name = %s AND is_generated = 'ALWAYS'"
    return {row[0] for row in database.database.execute_sql(sql, (table,)).fetchall()}


def test_the_migrated_schema_is_that_of_the_models(empty: dict[str, object]) -> None:
    database.connect(**empty)
    database.migrate()
    with database.database.connection_context():
        for model in MODELS:
            table = model._meta.table_name
            columns = {column.name for column in database.database.get_columns(table)} - generated(table)
            assert columns == {field.column_name for field in model._meta.sorted_fields}, model
        assert sorted(Runner(database.database.obj, str(MIGRATIONS)).applied())[-1] == database.newest_applied()
