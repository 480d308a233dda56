"""Who may do what in the private database: an operator who made it, and the application, which is no superuser."""

from __future__ import annotations

from typing import Any

import psycopg
from psycopg import sql


def make_database(operator: dict[str, Any], database: str, application: str, password: str) -> None:
    """Make the application's role and database, where they are not there yet, and let everything in it belong to that role.

    :param operator: how whoever may do all connects. :param password: of the application's role.
    """
    role, name = sql.Identifier(application), sql.Identifier(database)
    with psycopg.connect(**operator, autocommit=True, connect_timeout=10) as connection:
        known = connection.execute("SELECT 1 FROM pg_roles WHERE rolname = %s", (application,)).fetchone()
        connection.execute(
            sql.SQL("{} ROLE {} LOGIN NOSUPERUSER NOCREATEDB NOCREATEROLE PASSWORD {}").format(
                sql.SQL("ALTER" if known else "CREATE"), role, password
            )
        )
        if not connection.execute("SELECT 1 FROM pg_database WHERE datname = %s", (database,)).fetchone():
            connection.execute(sql.SQL("CREATE DATABASE {} OWNER {}").format(name, role))
        connection.execute(sql.SQL("ALTER DATABASE {} OWNER TO {}").format(name, role))
    with psycopg.connect(**operator | {"dbname": database}, autocommit=True, connect_timeout=10) as connection:
        connection.execute(sql.SQL("ALTER SCHEMA public OWNER TO {}").format(role))
        others = connection.execute(
            "SELECT tablename FROM pg_tables WHERE schemaname = 'public' AND tableowner <> %s", (application,)
        ).fetchall()
        for (table,) in others:
            connection.execute(sql.SQL("ALTER TABLE public.{} OWNER TO {}").format(sql.Identifier(table), role))
