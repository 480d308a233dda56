"""The connection to PostgreSQL, and its migrations."""

from __future__ import annotations

from collections.abc import Callable
from functools import wraps
from pathlib import Path
from typing import Any, ParamSpec, TypeVar

from peewee import DatabaseProxy
from playhouse.migrations import Runner
from playhouse.pool import PooledPostgresqlDatabase

MIGRATIONS = Path(__file__).parent / "migrations"
MIGRATION_LOCK = 7_307_101
MOST_CONNECTIONS = 20
WAIT_FOR_CONNECTION_S = 10

database = DatabaseProxy()

Arguments = ParamSpec("Arguments")
Answer = TypeVar("Answer")


def connect(**parameters: Any) -> PooledPostgresqlDatabase:
    """Point the application at a PostgreSQL database (host, port, dbname, user, password)."""
    drop_connections()
    name = parameters.pop("dbname")
    pool = PooledPostgresqlDatabase(
        name, max_connections=MOST_CONNECTIONS, timeout=WAIT_FOR_CONNECTION_S, connect_timeout=5, **parameters
    )
    database.initialize(pool)
    return pool


def migrate(target: str | None = None) -> list[str]:
    """Bring the schema up to the newest migration (or to ``target``); gives the names of those applied."""
    with database.connection_context():
        database.execute_sql("SELECT pg_advisory_lock(%s)", (MIGRATION_LOCK,))
        try:
            return list(Runner(database.obj, str(MIGRATIONS)).up(target))
        finally:
            database.execute_sql("SELECT pg_advisory_unlock(%s)", (MIGRATION_LOCK,))


def newest_applied() -> str | None:
    """The name of the newest migration that the connected database has."""
    applied = Runner(database.obj, str(MIGRATIONS)).applied()
    return max(applied, default=None)


def drop_connections() -> None:
    """Forget every pooled connection; the next request opens a fresh one. Called after the server went away."""
    if database.obj is not None:
        database.obj.close_all()


def with_connection(function: Callable[Arguments, Answer]) -> Callable[Arguments, Answer]:
    """Run a function inside a connection of its own thread, given back to the pool afterwards."""

    @wraps(function)
    def wrapped(*args: Arguments.args, **kwargs: Arguments.kwargs) -> Answer:
        with database.connection_context():
            return function(*args, **kwargs)

    return wrapped
